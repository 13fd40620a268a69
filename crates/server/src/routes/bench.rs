//! The bench: batches on their way, led step by step.

use axum::Json;
use axum::extract::State as Shared;
use axum::http::StatusCode;
use jiff::Timestamp;
use lorimant_core::bench::rest::at_it_min;
use lorimant_core::bench::{Batch, BatchProgress, Event, EventKind, Task, in_order};
use lorimant_core::making::Changes;
use lorimant_core::piece::Piece;
use lorimant_core::words::scale::of_wire;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::{self, Archive, Revised};
use super::{read, write};
use crate::extract::{Body, Path, Query};
use crate::kept::{Kept as _, Pick};
use crate::problem::Problem;
use crate::state::State;
use crate::store::StoreError;
use crate::store::bench::{self, Led};
use crate::store::picks::pickable;
use crate::store::rack::{self, Stocked};
use crate::store::shelf::{Edit, Entry, Shelf, Written};
use crate::store::{batch, orders};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_batches, begin_batch))
        .routes(routes!(lead_batch))
        .routes(routes!(batch_progress))
        .routes(routes!(tell))
        .routes(routes!(change_making))
        .routes(routes!(note_batch))
        .routes(routes!(archive_batch))
}

/// A batch on its way, as a list shows it.
#[derive(Serialize, ToSchema)]
struct BatchRow {
    /// The batch.
    #[serde(flatten)]
    entry: Entry<Batch>,
    /// How many are made: rings, or pieces.
    pieces_n: u32,
    /// How many of them are still whole.
    whole_n: u32,
    /// What is done next, in two or three words; nothing once all is done.
    #[serde(skip_serializing_if = "Option::is_none")]
    next: Option<String>,
    /// When what runs by itself is ready, where something does.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(value_type = Option<String>)]
    ready_at: Option<Timestamp>,
    /// Minutes at the bench that are still to come, as the route reckons them.
    left_min: f64,
    /// Why it cannot be led as the workshop is now, where it cannot.
    #[serde(skip_serializing_if = "Option::is_none")]
    fault: Option<String>,
}

impl From<Led> for BatchRow {
    fn from(led: Led) -> Self {
        let Led { entry, tasks, progress } = led;
        Self {
            pieces_n: entry.record.pieces_n(),
            whole_n: progress.whole_n,
            next: progress.at.and_then(|at| tasks.get(at)).map(|task| task.step.named.clone()),
            ready_at: progress.tasks.iter().find_map(|task| task.ready_at),
            left_min: progress.left_min,
            fault: None,
            entry: listed(entry),
        }
    }
}

/// The batch without the workshop it keeps, which no view shows.
fn listed(entry: Entry<Batch>) -> Entry<Batch> {
    Entry { record: entry.record.listed(), ..entry }
}

/// What is on its way, in the order it was begun.
#[utoipa::path(get, path = "/api/batches", responses((status = 200, body = Vec<BatchRow>)))]
async fn list_batches(Shared(state): Shared<State>) -> Result<Json<Vec<BatchRow>>, Problem> {
    let workshop = state.store.workshop();
    let rows = read(&state, move |c| {
        let all: Vec<Entry<Batch>> = Shelf::Batches.all(c)?;
        let row = |entry: Entry<Batch>| match bench::led(c, entry.id, &workshop) {
            Ok(led) => Ok(led.into()),
            Err(StoreError::Refused(faults)) => Ok(BatchRow {
                pieces_n: entry.record.pieces_n(),
                whole_n: entry.record.pieces_n(),
                next: None,
                ready_at: None,
                left_min: 0.0,
                fault: Some(faults.to_string()),
                entry: listed(entry),
            }),
            Err(error) => Err(error),
        };
        all.into_iter().map(row).collect()
    });
    rows.await.map(Json)
}

/// A batch to begin: a kept plan or pattern, and how many.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct NewBatch {
    /// The number of a kept plan or pattern.
    entry: i64,
    /// How many rings, pieces, or pairs: 1 to 100 000.
    pieces_n: u32,
    /// What this batch does otherwise than its plan.
    #[serde(default)]
    changes: Changes,
}

/// Begins a batch: the piece as it is kept now stays this batch's recipe, whatever becomes of the plan.
#[utoipa::path(post, path = "/api/batches", request_body = NewBatch,
    responses((status = 201, body = Written<Batch>), (status = 422, body = Problem)))]
async fn begin_batch(
    Shared(state): Shared<State>,
    Body(new): Body<NewBatch>,
) -> Result<(StatusCode, Json<Written<Batch>>), Problem> {
    let NewBatch { entry, pieces_n, changes } = new;
    Pick { entry, pieces_n }.check()?;
    let (picked, _) = read(&state, move |c| pickable(c, entry, pieces_n)).await?;
    let workshop = state.store.workshop();
    let batch = Batch { changes, ..Batch::begun(&picked.what, picked.piece, pieces_n, &workshop) };
    batch.check()?;
    batch.tasks(&workshop)?;
    entries::add(&state, Shelf::Batches, batch).await
}

/// A lot that the wire of a batch can be cut from.
#[derive(Serialize, ToSchema)]
struct LotOf {
    /// Its number.
    id: i64,
    /// What it is called, and how much is left of it.
    label: String,
}

/// A batch with its tasks and how far it is.
#[derive(Serialize, ToSchema)]
struct LedBatch {
    /// The batch.
    entry: Entry<Batch>,
    /// Its tasks in order: the operations of its route, for all of its pieces.
    tasks: Vec<Task>,
    /// How far it is.
    progress: BatchProgress,
    /// The lots its wire can be cut from: first the shortest that all of it comes off.
    lots: Vec<LotOf>,
    /// What comes of it as it stands: the recipe as it is made, so many of it as are whole.
    made: Piece,
    /// Colour of its metal, `#rrggbb`.
    colour: &'static str,
    /// The server's clock, UTC: what timers are counted by.
    #[schema(value_type = String)]
    now: Timestamp,
}

/// A batch, to be led step by step.
#[utoipa::path(get, path = "/api/batches/{id}", params(("id" = i64, Path)),
    responses((status = 200, body = LedBatch), (status = 404, body = Problem)))]
async fn lead_batch(Shared(state): Shared<State>, Path(id): Path<i64>) -> Result<Json<LedBatch>, Problem> {
    let workshop = state.store.workshop();
    let unit = workshop.habits.unit;
    let known = workshop.clone();
    let (led, stock) = read(&state, move |c| Ok((bench::led(c, id, &known)?, rack::in_stock(c)?))).await?;
    let Led { entry, tasks, progress } = led;
    let wire = entry.record.piece.wire();
    let mut stock: Vec<_> =
        stock.into_iter().filter(|lot| lot.entry.record.covered_wire().stands_for(wire)).collect();
    let needed_mm = tasks.iter().filter_map(|task| Some(task.off_the_spool_mm? * f64::from(task.n))).sum();
    in_order(&mut stock, needed_mm, |lot| lot.balance.left_mm);
    // The lot it is planned for comes first; of another it is said.
    stock.sort_by_key(|lot| wire.lot.is_some_and(|planned| planned.instead(lot.entry.id).is_some()));
    let shown = |lot: &Stocked| {
        let left = of_wire(lot.balance.left_mm, unit);
        let instead = wire.lot.and_then(|planned| planned.instead(lot.entry.id));
        let instead = instead.map_or(String::new(), |text| format!(": {text}"));
        text!("api-bench-left", name = lot.entry.name, left, instead)
    };
    let lots = stock.iter().map(|lot| LotOf { id: lot.entry.id, label: shown(lot) }).collect();
    Ok(Json(LedBatch {
        made: entry.record.made(&progress),
        colour: wire.metal.figures().colour,
        entry: listed(entry),
        tasks,
        progress,
        lots,
        now: bench::now(),
    }))
}

/// How far a batch is.
#[derive(Serialize, ToSchema)]
struct BatchNow {
    /// How far it is.
    progress: BatchProgress,
    /// Minutes that hands have been at it since they last rested, whichever batch they were at.
    at_it_min: f64,
    /// How long a rest is due, minutes, where it is time for one as the workshop's hours say.
    #[serde(skip_serializing_if = "Option::is_none")]
    rest_min: Option<f64>,
    /// The server's clock, UTC.
    #[schema(value_type = String)]
    now: Timestamp,
}

impl BatchNow {
    /// As it is now; hands that have been at it for long are told so.
    fn of(c: &rusqlite::Connection, led: Led) -> Result<Self, StoreError> {
        let now = bench::now();
        let hours = crate::store::settings(c)?.0.hours;
        let at_it_min = at_it_min(&bench::presses(c, now)?, now, hours.rest_min);
        let rest_min = (at_it_min >= hours.rest_every_min).then_some(hours.rest_min);
        Ok(Self { progress: led.progress, at_it_min, rest_min, now })
    }
}

/// How far a batch is: small enough to ask for again and again.
#[utoipa::path(get, path = "/api/batches/{id}/progress", params(("id" = i64, Path)),
    responses((status = 200, body = BatchNow), (status = 404, body = Problem)))]
async fn batch_progress(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<BatchNow>, Problem> {
    let workshop = state.store.workshop();
    read(&state, move |c| BatchNow::of(c, bench::led(c, id, &workshop)?)).await.map(Json)
}

/// Something that happened at the bench.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Told {
    /// Its own key, 8 to 64 characters: the same for the same press, however often it is sent.
    key: String,
    /// The step, from 1.
    step_n: u32,
    /// What happened.
    #[serde(alias = "happened")]
    kind: EventKind,
    /// To how many.
    n: u32,
    /// Why they were scrapped.
    #[serde(default)]
    reason: String,
    /// The lot that wire is cut from, where it is booked.
    #[serde(default)]
    lot: Option<i64>,
    /// How long ago it happened, s, where it waited for the server: up to a week; just now if left out.
    #[serde(default)]
    ago_s: f64,
}

/// A press that waited longer than this is taken to have happened so long ago, s.
const MOST_AGO_S: f64 = 7.0 * 86_400.0;

/// Tells what happened. What was told under the same key before is not counted again.
#[utoipa::path(post, path = "/api/batches/{id}/events", params(("id" = i64, Path)), request_body = Told,
    responses((status = 200, body = BatchNow), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn tell(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(told): Body<Told>,
) -> Result<Json<BatchNow>, Problem> {
    let workshop = state.store.workshop();
    let Told { key, step_n, kind, n, reason, lot, ago_s } = told;
    let ago = jiff::SignedDuration::try_from_secs_f64(ago_s.clamp(0.0, MOST_AGO_S)).unwrap_or_default();
    let at = bench::now().checked_sub(ago).unwrap_or_else(|_| bench::now());
    let event = Event { key, step_n, kind, n, reason, at };
    write(&state, move |t| BatchNow::of(t, bench::happen(t, id, &event, lot, &workshop)?)).await.map(Json)
}

/// Changes how a batch is made, as long as nothing of it is: other methods, or other operations, for this one alone.
#[utoipa::path(put, path = "/api/batches/{id}/making", params(("id" = i64, Path), Revised), request_body = Changes,
    responses((status = 200, body = Written<Batch>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn change_making(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(Revised { revision }): Query<Revised>,
    Body(changes): Body<Changes>,
) -> Result<Json<Written<Batch>>, Problem> {
    let workshop = state.store.workshop();
    let written = write(&state, move |t| {
        let undo = batch::next(t)?;
        let entry = orders::remake(t, undo, (id, revision), changes, &workshop)?;
        Ok(Written { entry, undo })
    });
    written.await.map(Json)
}

/// What is noted about a batch.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct BatchNote {
    /// The note; empty for none.
    note: String,
}

/// Notes something about a batch.
#[utoipa::path(put, path = "/api/batches/{id}/note", params(("id" = i64, Path), Revised), request_body = BatchNote,
    responses((status = 200, body = Written<Batch>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn note_batch(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(Revised { revision }): Query<Revised>,
    Body(BatchNote { note }): Body<BatchNote>,
) -> Result<Json<Written<Batch>>, Problem> {
    let written = write(&state, move |t| {
        let undo = batch::next(t)?;
        let entry = orders::note(t, undo, (id, revision), note.trim().to_owned())?;
        Ok(Written { entry, undo })
    });
    written.await.map(Json)
}

/// Puts a batch away, or takes it out again.
#[utoipa::path(post, path = "/api/batches/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<Batch>), (status = 404, body = Problem), (status = 409, body = Problem)))]
async fn archive_batch(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<Batch>>, Problem> {
    entries::edit(&state, Shelf::Batches, id, wish.revision, Edit::Archive(wish.archived)).await
}
