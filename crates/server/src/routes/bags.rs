//! The shelf: bags, their counts, and how to make what is in them again.

use axum::Json;
use axum::extract::State as Shared;
use axum::http::StatusCode;
use lorimant_core::bench::{Batch, Task};
use lorimant_core::fault::Faults;
use lorimant_core::order::Bag;
use lorimant_core::order::bag::Counting;
use lorimant_core::order::recipe::{Recipe, UnknownSingle};
use lorimant_core::order::single::{Likeness, Single};
use lorimant_core::piece::Piece;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::{self, Archive, ListQuery, Revised};
use super::{aside, read, write};
use crate::extract::{Body, Path, Query};
use crate::kept::{Kept as _, Pick, Settings};
use crate::problem::Problem;
use crate::state::State;
use crate::store::shelf::{Edit, Entry, Shelf, Written};
use crate::store::{batch, orders, picks};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_bags, add_bag))
        .routes(routes!(bag_of_batch))
        .routes(routes!(get_bag, change_bag))
        .routes(routes!(count_bag))
        .routes(routes!(archive_bag))
        .routes(routes!(make_again))
        .routes(routes!(find_match))
        .routes(routes!(work_out_recipes))
}

/// A bag as a list shows it.
#[derive(Serialize, ToSchema)]
struct BagRow {
    /// The bag.
    #[serde(flatten)]
    entry: Entry<Bag>,
    /// How many are in it, in words: `6 pairs`.
    counted: String,
}

/// A stretch of the shelf.
#[derive(Serialize, ToSchema)]
struct BagPage {
    /// Bags, last changed first.
    entries: Vec<BagRow>,
    /// How many there are in all.
    total: i64,
}

/// Bags on the shelf, last changed first.
#[utoipa::path(get, path = "/api/bags", params(ListQuery), responses((status = 200, body = BagPage)))]
async fn list_bags(
    Shared(state): Shared<State>,
    Query(query): Query<ListQuery>,
) -> Result<Json<BagPage>, Problem> {
    let page = read(&state, move |c| Shelf::Bags.page::<Bag>(c, &query.wanted())).await?;
    let row = |entry: Entry<Bag>| BagRow {
        counted: entry.record.piece.counted_as(entry.record.n),
        entry: listed(entry),
    };
    Ok(Json(BagPage { entries: page.entries.into_iter().map(row).collect(), total: page.total }))
}

/// The bag without the workshop it keeps, which no view shows.
fn listed(entry: Entry<Bag>) -> Entry<Bag> {
    Entry { record: entry.record.listed(), ..entry }
}

/// A bag that was filled before this program knew of it.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct NewBag {
    /// The number of the kept plan or pattern that is in it.
    entry: i64,
    /// How many rings, pieces, or pairs.
    pieces_n: u32,
    /// Where it lies.
    #[serde(default)]
    place: String,
}

async fn today(state: &State) -> Result<(jiff::civil::Date, Settings), Problem> {
    let (settings, _) = read(state, crate::store::settings).await?;
    Ok((settings.today(), settings))
}

/// Lays a bag on the shelf that was filled elsewhere.
#[utoipa::path(post, path = "/api/bags", request_body = NewBag,
    responses((status = 201, body = Written<Bag>), (status = 422, body = Problem)))]
async fn add_bag(
    Shared(state): Shared<State>,
    Body(NewBag { entry, pieces_n, place }): Body<NewBag>,
) -> Result<(StatusCode, Json<Written<Bag>>), Problem> {
    Pick { entry, pieces_n }.check()?;
    let (picked, _) = read(&state, move |c| picks::pickable(c, entry, pieces_n)).await?;
    let (filled_on, settings) = today(&state).await?;
    let changes = picked.piece.changes().clone();
    let methods = Some(settings.methods);
    let (name, piece) = (picked.what, picked.piece);
    let n = pieces_n;
    let workshop = Batch::snapshot(&state.store.workshop());
    let note = String::new();
    let bag = Bag { name, piece, methods, changes, workshop, batch: None, filled_on, place, n, note };
    entries::add(&state, Shelf::Bags, bag).await
}

/// Where a bag is laid.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Filling {
    /// Where it lies; nothing if left out.
    #[serde(default)]
    place: String,
}

/// Fills a bag with what came of a batch, and puts the batch away.
#[utoipa::path(post, path = "/api/batches/{id}/bag", params(("id" = i64, Path)), request_body = Filling,
    responses((status = 201, body = Written<Bag>), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn bag_of_batch(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(Filling { place }): Body<Filling>,
) -> Result<(StatusCode, Json<Written<Bag>>), Problem> {
    let workshop = state.store.workshop();
    let (day, _) = today(&state).await?;
    let written = write(&state, move |t| {
        let undo = batch::next(t)?;
        let entry = orders::fill_bag(t, undo, id, (day, &place), &workshop)?;
        Ok(Written { entry, undo })
    });
    Ok((StatusCode::CREATED, Json(written.await?)))
}

/// A bag with the recipe its pieces were made by.
#[derive(Serialize, ToSchema)]
struct MadeBag {
    /// The bag.
    entry: Entry<Bag>,
    /// How many are in it, in words.
    counted: String,
    /// The steps as they were made.
    tasks: Vec<Task>,
    /// Why they cannot be shown as the workshop is now, where they cannot.
    #[serde(skip_serializing_if = "Option::is_none")]
    fault: Option<String>,
    /// Colour of its metal, `#rrggbb`.
    colour: &'static str,
}

/// A bag, with the recipe as it was made: the revision of that day, not today's.
#[utoipa::path(get, path = "/api/bags/{id}", params(("id" = i64, Path)),
    responses((status = 200, body = MadeBag), (status = 404, body = Problem)))]
async fn get_bag(Shared(state): Shared<State>, Path(id): Path<i64>) -> Result<Json<MadeBag>, Problem> {
    let workshop = state.store.workshop();
    let made = read(&state, move |c| {
        let entry: Entry<Bag> = Shelf::Bags.get(c, id)?;
        let tasks = entry.record.as_made(entry.record.piece.count().max(1)).tasks(&workshop);
        let fault = tasks.as_ref().err().map(ToString::to_string);
        let counted = entry.record.piece.counted_as(entry.record.n);
        let colour = entry.record.piece.wire().metal.figures().colour;
        Ok(MadeBag { entry: listed(entry), counted, tasks: tasks.unwrap_or_default(), fault, colour })
    });
    made.await.map(Json)
}

/// What can be changed about a bag beside its count.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct BagWords {
    /// What is in it.
    name: String,
    /// Where it lies.
    #[serde(default)]
    place: String,
    /// A note.
    #[serde(default)]
    note: String,
}

/// Changes what a bag is called, where it lies, and its note.
#[utoipa::path(put, path = "/api/bags/{id}", params(("id" = i64, Path), Revised), request_body = BagWords,
    responses((status = 200, body = Written<Bag>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn change_bag(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(Revised { revision }): Query<Revised>,
    Body(BagWords { name, place, note }): Body<BagWords>,
) -> Result<Json<Written<Bag>>, Problem> {
    let there: Entry<Bag> = read(&state, move |c| Shelf::Bags.get(c, id)).await?;
    let bag = Bag { name, place, note, ..there.record };
    entries::replace(&state, Shelf::Bags, id, revision, bag).await
}

/// A change of a count.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct BagCount {
    /// The revision that was read.
    revision: i64,
    /// What was done.
    counting: Counting,
    /// How many.
    n: u32,
}

/// Takes out of a bag, puts back, or counts again.
#[utoipa::path(post, path = "/api/bags/{id}/count", params(("id" = i64, Path)), request_body = BagCount,
    responses((status = 200, body = Written<Bag>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn count_bag(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(BagCount { revision, counting, n }): Body<BagCount>,
) -> Result<Json<Written<Bag>>, Problem> {
    let written = write(&state, move |t| {
        let undo = batch::next(t)?;
        let entry = orders::count(t, undo, (id, revision), counting, n)?;
        Ok(Written { entry, undo })
    });
    written.await.map(Json)
}

/// Puts a bag away, or takes it out again.
#[utoipa::path(post, path = "/api/bags/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<Bag>), (status = 404, body = Problem), (status = 409, body = Problem)))]
async fn archive_bag(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<Bag>>, Problem> {
    entries::edit(&state, Shelf::Bags, id, wish.revision, Edit::Archive(wish.archived)).await
}

/// How many are made again.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct MadeAgain {
    /// How many rings, pieces, or pairs: 1 to 100 000.
    pieces_n: u32,
}

/// Begins a batch by the recipe of a bag, as it was made then.
#[utoipa::path(post, path = "/api/bags/{id}/again", params(("id" = i64, Path)), request_body = MadeAgain,
    responses((status = 201, body = Written<Batch>), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn make_again(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(MadeAgain { pieces_n }): Body<MadeAgain>,
) -> Result<(StatusCode, Json<Written<Batch>>), Problem> {
    Pick { entry: id, pieces_n }.check()?;
    let workshop = state.store.workshop();
    let bag: Entry<Bag> = read(&state, move |c| Shelf::Bags.get(c, id)).await?;
    let batch = bag.record.again(pieces_n, &workshop);
    batch.tasks(&workshop)?;
    entries::add(&state, Shelf::Batches, batch).await
}

/// A recipe that a single piece may have been made by.
#[derive(Serialize, ToSchema)]
struct MatchOf {
    /// Number of the bag it lies in, made by this recipe.
    #[serde(skip_serializing_if = "Option::is_none")]
    bag: Option<i64>,
    /// Number it is kept under.
    #[serde(skip_serializing_if = "Option::is_none")]
    entry: Option<i64>,
    /// What it is called.
    name: String,
    /// The piece in a sentence.
    text: String,
    /// How it compares.
    #[serde(flatten)]
    likeness: Likeness,
}

/// Most recipes that are offered for one.
const MOST_OFFERED: usize = 8;

/// Which recipes a single piece may have been made by, by what it measures: the likeliest first.
#[utoipa::path(post, path = "/api/matches", request_body = Single,
    responses((status = 200, body = Vec<MatchOf>), (status = 422, body = Problem)))]
async fn find_match(
    Shared(state): Shared<State>,
    Body(single): Body<Single>,
) -> Result<Json<Vec<MatchOf>>, Problem> {
    let unit = state.store.workshop().habits.unit;
    let recipes = read(&state, orders::recipes).await?;
    let found = aside(move || {
        let pieces: Vec<Piece> = recipes.iter().map(|one| one.piece.clone()).collect();
        let alike = single.alike(&pieces, unit)?;
        let of = |likeness: Likeness| {
            let one = &recipes[likeness.of];
            let text = one.piece.clone().with_count(1).sentence(unit);
            MatchOf { bag: one.bag, entry: one.entry, name: one.name.clone(), text, likeness }
        };
        Ok::<_, Faults>(alike.into_iter().take(MOST_OFFERED).map(of).collect())
    });
    Ok(Json(found.await??))
}

/// Recipes that measure as a single piece does which nothing kept matches: the most usual piece first.
#[utoipa::path(post, path = "/api/matches/recipes", request_body = UnknownSingle,
    responses((status = 200, body = Vec<Recipe>), (status = 422, body = Problem)))]
async fn work_out_recipes(
    Shared(state): Shared<State>,
    Body(unknown): Body<UnknownSingle>,
) -> Result<Json<Vec<Recipe>>, Problem> {
    let workshop = state.store.workshop();
    Ok(Json(aside(move || unknown.recipes(&workshop)).await??))
}
