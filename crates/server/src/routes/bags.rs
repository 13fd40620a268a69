//! The shelf: bags, their counts, their labels, and how to make what is in them again.

use axum::Json;
use axum::extract::State as Shared;
use axum::http::{HeaderMap, StatusCode, header};
use axum::response::Response;
use lorimant_core::bench::{Batch, Task};
use lorimant_core::fault::{Fault, Faults};
use lorimant_core::order::Bag;
use lorimant_core::order::bag::Counting;
use lorimant_core::order::survivor::{Likeness, Survivor};
use lorimant_core::piece::Piece;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::{self, Archive, ListQuery, Revised};
use super::{aside, file, made, read, write};
use crate::export::bag::{Printing, ToPrint};
use crate::extract::{Body, Path, Query};
use crate::kept::{Kept as _, Pick, Settings};
use crate::paper::LabelPaper;
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
        .routes(routes!(find_survivor))
        .routes(routes!(bag_label))
        .routes(routes!(label_sheets))
        .routes(routes!(print_labels))
        .routes(routes!(printer_tray))
        .routes(routes!(printed_sheet))
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
    let row = |entry: Entry<Bag>| BagRow { counted: entry.record.piece.counted_as(entry.record.n), entry };
    Ok(Json(BagPage { entries: page.entries.into_iter().map(row).collect(), total: page.total }))
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
    Ok((jiff::Timestamp::now().to_zoned_datetime(settings.zone()).date(), settings))
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
    let schools = Some(settings.schools);
    let (name, piece) = (picked.what, picked.piece);
    let n = pieces_n;
    let bag = Bag { name, piece, schools, changes, batch: None, filled_on, place, n, note: String::new() };
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
        let tasks = entry.record.again(entry.record.piece.count().max(1)).tasks(&workshop);
        let fault = tasks.as_ref().err().map(ToString::to_string);
        let counted = entry.record.piece.counted_as(entry.record.n);
        let colour = entry.record.piece.wire().metal.figures().colour;
        Ok(MadeBag { entry, counted, tasks: tasks.unwrap_or_default(), fault, colour })
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
    let batch = bag.record.again(pieces_n);
    batch.tasks(&workshop)?;
    entries::add(&state, Shelf::Batches, batch).await
}

/// A recipe that a survivor may have been made by.
#[derive(Serialize, ToSchema)]
struct SurvivorOf {
    /// Number of the bag it lies in, made by this recipe.
    #[serde(skip_serializing_if = "Option::is_none")]
    bag: Option<i64>,
    /// Number it is kept under.
    #[serde(skip_serializing_if = "Option::is_none")]
    entry: Option<i64>,
    /// What it is called.
    name: String,
    /// The piece in a sentence.
    sentence: String,
    /// How it compares.
    #[serde(flatten)]
    likeness: Likeness,
}

/// Most recipes that are offered for a survivor.
const MOST_OFFERED: usize = 8;

/// Which recipes a single survivor may have been made by, by what it measures: the likeliest first.
#[utoipa::path(post, path = "/api/survivors", request_body = Survivor,
    responses((status = 200, body = Vec<SurvivorOf>), (status = 422, body = Problem)))]
async fn find_survivor(
    Shared(state): Shared<State>,
    Body(survivor): Body<Survivor>,
) -> Result<Json<Vec<SurvivorOf>>, Problem> {
    let unit = state.store.workshop().habits.unit;
    let recipes = read(&state, orders::recipes).await?;
    let found = aside(move || {
        let pieces: Vec<Piece> = recipes.iter().map(|one| one.piece.clone()).collect();
        let alike = survivor.alike(&pieces, unit)?;
        let of = |likeness: Likeness| {
            let one = &recipes[likeness.of];
            let sentence = one.piece.clone().with_count(1).sentence(unit);
            SurvivorOf { bag: one.bag, entry: one.entry, name: one.name.clone(), sentence, likeness }
        };
        Ok::<_, Faults>(alike.into_iter().take(MOST_OFFERED).map(of).collect())
    });
    Ok(Json(found.await??))
}

/// Where this server was reached: what codes on labels lead to.
fn address(headers: &HeaderMap, id: i64) -> String {
    let host = headers.get(header::HOST).and_then(|host| host.to_str().ok()).unwrap_or("localhost");
    format!("http://{host}/bag/{id}")
}

/// The label of a bag: `label.svg` or `label.pdf`, as large as the workshop's labels are.
#[utoipa::path(get, path = "/api/bags/{id}/files/{file}", params(("id" = i64, Path), ("file" = String, Path)),
    responses((status = 200, content_type = "application/octet-stream"), (status = 404, body = Problem)))]
async fn bag_label(
    Shared(state): Shared<State>,
    Path((id, name)): Path<(i64, String)>,
    headers: HeaderMap,
) -> Result<Response, Problem> {
    let kind = match name.as_str() {
        "label.svg" => "image/svg+xml",
        "label.pdf" => "application/pdf",
        _ => return Err(Problem::no_such_file("A label is", &name, "label.svg and label.pdf")),
    };
    let bag: Entry<Bag> = read(&state, move |c| Shelf::Bags.get(c, id)).await?;
    let (settings, _) = read(&state, crate::store::settings).await?;
    let workshop = state.store.workshop();
    let one = ToPrint { bag: bag.record, address: address(&headers, id) };
    let bytes = made(move || {
        let printing =
            Printing { name: &settings.workshop_name, workshop: &workshop, paper: settings.labels };
        if kind == "image/svg+xml" { Ok(printing.svg(&one).into_bytes()) } else { printing.single(&[one]) }
    });
    Ok(file(kind, &format!("bag-{id}-{name}"), bytes.await?))
}

/// Which labels.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct LabelWish {
    /// The bags, by their numbers, each as often as it is wanted; 1 to 500.
    bags: Vec<i64>,
    /// How many places of the first sheet are used up already; 0 if left out.
    #[serde(default)]
    used_n: u32,
    /// Other paper than the workshop's.
    #[serde(default)]
    paper: Option<LabelPaper>,
}

/// Most labels at once.
const MOST_LABELS: usize = 500;

async fn to_print(
    state: &State,
    labels: &LabelWish,
    headers: &HeaderMap,
) -> Result<(Vec<ToPrint>, LabelPaper, Settings), Problem> {
    if labels.bags.is_empty() || labels.bags.len() > MOST_LABELS {
        let said = format!("{} labels cannot be printed at once. Say 1 to {MOST_LABELS}.", labels.bags.len());
        return Err(Faults::from(Fault::new("bags", said)).into());
    }
    let (settings, _) = read(state, crate::store::settings).await?;
    let paper = labels.paper.unwrap_or(settings.labels);
    paper.check().map_err(|faults| faults.within("paper"))?;
    let ids = labels.bags.clone();
    let bags = read(state, move |c| {
        ids.into_iter().map(|id| Shelf::Bags.get::<Bag>(c, id)).collect::<Result<Vec<_>, _>>()
    });
    let all = bags
        .await?
        .into_iter()
        .map(|entry| ToPrint { address: address(headers, entry.id), bag: entry.record });
    Ok((all.collect(), paper, settings))
}

/// Labels in sheets: `labels.pdf`, or the first sheet as `labels.svg`.
#[utoipa::path(post, path = "/api/labels/{file}", params(("file" = String, Path)), request_body = LabelWish,
    responses((status = 200, content_type = "application/octet-stream"), (status = 404, body = Problem),
        (status = 422, body = Problem)))]
async fn label_sheets(
    Shared(state): Shared<State>,
    Path(name): Path<String>,
    headers: HeaderMap,
    Body(labels): Body<LabelWish>,
) -> Result<Response, Problem> {
    let kind = match name.as_str() {
        "labels.svg" => "image/svg+xml",
        "labels.pdf" => "application/pdf",
        _ => return Err(Problem::no_such_file("Labels are", &name, "labels.pdf and labels.svg")),
    };
    let (all, paper, settings) = to_print(&state, &labels, &headers).await?;
    let workshop = state.store.workshop();
    let used_n = labels.used_n;
    let bytes = made(move || {
        let printing = Printing { name: &settings.workshop_name, workshop: &workshop, paper };
        if kind == "application/pdf" {
            return printing.sheets_pdf(&all, used_n);
        }
        Ok(printing.sheets(&all, used_n).into_iter().next().unwrap_or_default().into_bytes())
    });
    Ok(file(kind, &name, bytes.await?))
}

/// What became of labels that were sent to the printer.
#[derive(Serialize, ToSchema)]
struct LabelsPrinted {
    /// How many.
    labels_n: usize,
    /// Whether the simulated printer took them.
    simulated: bool,
}

/// Prints labels, each at its own size: on the workshop's printer, or the simulated one.
#[utoipa::path(post, path = "/api/labels/print", request_body = LabelWish,
    responses((status = 200, body = LabelsPrinted), (status = 422, body = Problem), (status = 503, body = Problem)))]
async fn print_labels(
    Shared(state): Shared<State>,
    headers: HeaderMap,
    Body(labels): Body<LabelWish>,
) -> Result<Json<LabelsPrinted>, Problem> {
    let (all, paper, settings) = to_print(&state, &labels, &headers).await?;
    let labels_n = all.len();
    let workshop = state.store.workshop();
    let bytes = made(move || {
        let printing = Printing { name: &settings.workshop_name, workshop: &workshop, paper };
        printing.single(&all)
    });
    let printer = &state.instruments.printer;
    printer
        .print(&bytes.await?)
        .await
        .map_err(|error| Problem::no_device("printer", &error, "save the labels as PDF"))?;
    Ok(Json(LabelsPrinted { labels_n, simulated: printer.tray().is_some() }))
}

/// A sheet in the tray of the simulated printer.
#[derive(Serialize, ToSchema)]
struct PrintedSheet {
    /// Its number.
    n: u64,
    /// When it was printed, UTC.
    #[schema(value_type = String)]
    at: jiff::Timestamp,
    /// How large the document is, bytes.
    bytes_n: usize,
}

/// What lies in the tray of the simulated printer, the newest first; nothing where a real one prints.
#[utoipa::path(get, path = "/api/printer", responses((status = 200, body = Vec<PrintedSheet>)))]
async fn printer_tray(Shared(state): Shared<State>) -> Json<Vec<PrintedSheet>> {
    let sheets =
        state.instruments.printer.tray().map(crate::instrument::printer::Tray::all).unwrap_or_default();
    Json(
        sheets
            .into_iter()
            .map(|one| PrintedSheet { n: one.n, at: one.at, bytes_n: one.document.len() })
            .collect(),
    )
}

/// A sheet that the simulated printer was sent, as PDF.
#[utoipa::path(get, path = "/api/printer/{n}", params(("n" = u64, Path)),
    responses((status = 200, content_type = "application/pdf"), (status = 404, body = Problem)))]
async fn printed_sheet(Shared(state): Shared<State>, Path(n): Path<u64>) -> Result<Response, Problem> {
    let sheets =
        state.instruments.printer.tray().map(crate::instrument::printer::Tray::all).unwrap_or_default();
    let sheet = sheets.into_iter().find(|one| one.n == n);
    let sheet = sheet.ok_or_else(|| Problem::missing(format!("There is no sheet {n} in the tray.")))?;
    Ok(file("application/pdf", &format!("printed-{n}.pdf"), sheet.document.as_ref().clone()))
}
