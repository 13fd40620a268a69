//! Orders: kept, changed, begun line by line, handed over.

use axum::Json;
use axum::extract::State as Shared;
use axum::http::StatusCode;
use jiff::civil::Date;
use lorimant_core::bench::Batch;
use lorimant_core::bench::schedule::agenda::promise::Promise;
use lorimant_core::fault::{Fault, Faults};
use lorimant_core::order::{Line, LineProgress, Order, OrderState, lines_for};
use lorimant_core::piece::Piece;
use lorimant_core::wire::Wire;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::{self, Archive, Revised};
use super::{aside, read, schedule, write};
use crate::extract::{Body, Path, Query};
use crate::kept::{Kept as _, Pick};
use crate::problem::Problem;
use crate::state::State;
use crate::store::StoreError;
use crate::store::batch;
use crate::store::orders;
use crate::store::picks::pickable;
use crate::store::shelf::{Edit, Entry, Page, Shelf, Written};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_orders, take_order))
        .routes(routes!(promise))
        .routes(routes!(past_orders))
        .routes(routes!(change_order))
        .routes(routes!(archive_order))
        .routes(routes!(begin_line))
        .routes(routes!(hand_over))
        .routes(routes!(hand_over_all))
}

/// An order as a list shows it.
#[derive(Serialize, ToSchema)]
struct OrderRow {
    /// The order.
    #[serde(flatten)]
    entry: Entry<Order>,
    /// Who it is for, in words.
    for_whom: String,
    /// Its lines, in their order.
    lines: Vec<LineRow>,
    /// How far it is.
    state: OrderState,
    /// What wire is missing for it, in words: `2.4 m of soft copper, round 1 mm`. Empty where there is enough.
    short: Vec<String>,
    /// Days until it is due; below nought where that day is over.
    #[serde(skip_serializing_if = "Option::is_none")]
    due_in_days: Option<i32>,
}

/// A line as a list shows it.
#[derive(Serialize, ToSchema)]
struct LineRow {
    /// What is owed in words: `24 pairs`.
    wanted: String,
    /// The piece in a sentence.
    text: String,
    /// How it is covered.
    #[serde(flatten)]
    progress: LineProgress,
}

/// Open orders: what is due first stands first.
#[utoipa::path(get, path = "/api/orders", responses((status = 200, body = Vec<OrderRow>)))]
async fn list_orders(Shared(state): Shared<State>) -> Result<Json<Vec<OrderRow>>, Problem> {
    let workshop = state.store.workshop();
    let unit = workshop.habits.unit;
    let read = read(&state, move |c| {
        let open = orders::open(c, &workshop)?.orders;
        Ok((open, orders::short_of_wire(c, &workshop)?, crate::store::settings(c)?.0))
    });
    let (mut open, short, settings) = read.await?;
    let made_by = state.store.workshop();
    let today = settings.today();
    open.sort_by_key(|(entry, _)| (entry.record.due.unwrap_or(Date::MAX), entry.id));
    let row = |(entry, progress): (Entry<Order>, Vec<LineProgress>)| {
        let state = OrderState::of(&progress);
        let lines = entry.record.lines.iter().zip(progress).map(|(line, progress)| LineRow {
            wanted: line.piece.counted_as(line.piece.count()),
            text: line.piece.sentence_finished(unit, &made_by),
            progress,
        });
        OrderRow {
            for_whom: entry.record.for_whom(),
            lines: lines.collect(),
            short: lines_for(entry.id, &short, unit),
            state,
            due_in_days: entry.record.due.and_then(|due| due.since(today).ok()).map(|span| span.get_days()),
            entry,
        }
    };
    Ok(Json(open.into_iter().map(row).collect()))
}

/// Orders that were put away, last changed first.
#[utoipa::path(get, path = "/api/orders/past", params(entries::ListQuery),
    responses((status = 200, body = Page<Order>)))]
async fn past_orders(
    Shared(state): Shared<State>,
    Query(query): Query<entries::ListQuery>,
) -> Result<Json<Page<Order>>, Problem> {
    let mut wanted = query.wanted();
    wanted.archived = true;
    read(&state, move |c| Shelf::Orders.page(c, &wanted)).await.map(Json)
}

/// A line of an order: a kept plan or pattern by its number, or a piece as it is.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct NewLine {
    /// The number of a kept plan or pattern.
    #[serde(default)]
    entry: Option<i64>,
    /// A piece, where it is none that is kept.
    #[serde(default)]
    piece: Option<Piece>,
    /// What it is called; as the plan or pattern is if left out.
    #[serde(default)]
    name: Option<String>,
    /// The wire, where it is not that of the plan or pattern.
    #[serde(default)]
    wire: Option<Wire>,
    /// How many rings, pieces, or pairs: 1 to 100 000.
    pieces_n: u32,
    /// How many more are made in case some are scrapped, per cent; 0 if left out.
    #[serde(default)]
    spares_percent: f64,
    /// How many were handed over already; 0 if left out.
    #[serde(default)]
    handed_n: u32,
}

/// An order to keep.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct NewOrder {
    /// Who it is for; nobody where it is for stock.
    #[serde(default)]
    customer: String,
    /// The day it is due.
    #[serde(default)]
    #[schema(value_type = Option<String>, format = Date)]
    due: Option<Date>,
    /// A note.
    #[serde(default)]
    note: String,
    /// What is wanted.
    lines: Vec<NewLine>,
}

impl NewOrder {
    /// The order, each line with its piece as it is kept now.
    async fn order(self, state: &State) -> Result<Order, Problem> {
        let Self { customer, due, note, lines } = self;
        let mut kept = vec![];
        for (i, line) in lines.into_iter().enumerate() {
            kept.push(line.line(state).await.map_err(|problem| problem.within(&format!("lines[{i}]")))?);
        }
        Ok(Order { customer, due, note, lines: kept })
    }
}

impl NewLine {
    async fn line(self, state: &State) -> Result<Line, Problem> {
        let Self { entry, piece, name, wire, pieces_n, spares_percent, handed_n } = self;
        let (called, piece) = match (entry, piece) {
            (Some(entry), None) => {
                Pick { entry, pieces_n }.check()?;
                let (picked, _) = read(state, move |c| pickable(c, entry, pieces_n)).await?;
                (picked.what, picked.piece)
            }
            (None, Some(piece)) => (piece.called().to_owned(), piece.with_count(pieces_n)),
            _ => {
                let message = text!("api-orders-choose-saved-plan-or-finding");
                return Err(Faults::from(Fault::new("entry", message)).into());
            }
        };
        let piece = match wire {
            Some(wire) => piece.in_wire(wire),
            None => piece,
        };
        Ok(Line { name: name.unwrap_or(called), piece, spares_percent, handed_n })
    }
}

/// Keeps an order.
#[utoipa::path(post, path = "/api/orders", request_body = NewOrder,
    responses((status = 201, body = Written<Order>), (status = 422, body = Problem)))]
async fn take_order(
    Shared(state): Shared<State>,
    Body(new): Body<NewOrder>,
) -> Result<(StatusCode, Json<Written<Order>>), Problem> {
    let order = new.order(&state).await?;
    entries::add(&state, Shelf::Orders, order).await
}

/// When an order that is being typed could be ready, beside everything else, and what its due day would push aside.
#[utoipa::path(post, path = "/api/orders/promise", request_body = NewOrder,
    responses((status = 200, body = Promise), (status = 422, body = Problem)))]
async fn promise(Shared(state): Shared<State>, Body(new): Body<NewOrder>) -> Result<Json<Promise>, Problem> {
    let order = new.order(&state).await?;
    promise_of(&state, order).await.map(Json)
}

/// When an order that is not taken could be ready.
pub(super) async fn promise_of(state: &State, order: Order) -> Result<Promise, Problem> {
    order.check()?;
    let (without, with) = schedule::with_order(state, order).await?;
    let promised = aside(move || {
        let (without, with) = (schedule::planned(&without)?, schedule::planned(&with)?);
        Ok::<_, Faults>(Promise::of(Entry::<Order>::UNKEPT, &without, &with))
    });
    Ok(promised.await??)
}

/// Changes an order.
#[utoipa::path(put, path = "/api/orders/{id}", params(("id" = i64, Path), Revised), request_body = NewOrder,
    responses((status = 200, body = Written<Order>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn change_order(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(Revised { revision }): Query<Revised>,
    Body(new): Body<NewOrder>,
) -> Result<Json<Written<Order>>, Problem> {
    let order = new.order(&state).await?;
    entries::replace(&state, Shelf::Orders, id, revision, order).await
}

/// Puts an order away, or takes it out again.
#[utoipa::path(post, path = "/api/orders/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<Order>), (status = 404, body = Problem), (status = 409, body = Problem)))]
async fn archive_order(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<Order>>, Problem> {
    entries::edit(&state, Shelf::Orders, id, wish.revision, Edit::Archive(wish.archived)).await
}

/// Which line of an order.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Path)]
struct LineOf {
    /// The order's number.
    id: i64,
    /// The line, from 0.
    line: usize,
}

/// How many are begun.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Beginning {
    /// How many rings, pieces, or pairs; what is still to be made, spares included, if left out.
    #[serde(default)]
    pieces_n: Option<u32>,
}

/// Begins a batch for a line of an order.
#[utoipa::path(post, path = "/api/orders/{id}/lines/{line}/begin", params(LineOf), request_body = Beginning,
    responses((status = 201, body = Written<Batch>), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn begin_line(
    Shared(state): Shared<State>,
    Path(LineOf { id, line }): Path<LineOf>,
    Body(wish): Body<Beginning>,
) -> Result<(StatusCode, Json<Written<Batch>>), Problem> {
    let workshop = state.store.workshop();
    // What is still to be made is looked up in the same write: pressed twice, it begins one batch.
    let written = write(&state, move |t| {
        let open = orders::open(t, &workshop)?.orders;
        let found = open.into_iter().find(|(entry, _)| entry.id == id);
        let (entry, progress) =
            found.ok_or(StoreError::Missing { what: text!("api-orders-open-order"), id })?;
        let (Some(wanted), Some(progress)) = (entry.record.lines.get(line), progress.get(line)) else {
            let message = text!("api-orders-this-order-has-no-line", line = line.saturating_add(1));
            return Err(Faults::from(Fault::new("line", message)).into());
        };
        let pieces_n = wish.pieces_n.unwrap_or(progress.to_make_n);
        if pieces_n == 0 && wish.pieces_n.is_none() {
            let message = text!("api-orders-all-this-line-in-bags");
            return Err(Faults::from(Fault::new("pieces_n", message)).into());
        }
        Pick { entry: id, pieces_n }.check()?;
        let batch = Batch::begun(&wanted.name, wanted.piece.clone(), pieces_n, &workshop);
        batch.tasks(&workshop)?;
        let undo = batch::next(t)?;
        Ok(Written { entry: Shelf::Batches.add(t, undo, &batch)?, undo })
    });
    Ok((StatusCode::CREATED, Json(written.await?)))
}

/// What is handed over.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct HandOver {
    /// The revision that was read.
    revision: i64,
    /// The line, from 0.
    line: usize,
    /// How many.
    n: u32,
    /// Whether pieces that are set aside for orders due before it may go as well; they stay if left out.
    #[serde(default)]
    even_if_set_aside: bool,
}

/// Hands over so many of a line: they leave their bags.
#[utoipa::path(post, path = "/api/orders/{id}/hand-over", params(("id" = i64, Path)), request_body = HandOver,
    responses((status = 200, body = Written<Order>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn hand_over(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(HandOver { revision, line, n, even_if_set_aside }): Body<HandOver>,
) -> Result<Json<Written<Order>>, Problem> {
    let workshop = state.store.workshop();
    let written = write(&state, move |t| {
        let undo = batch::next(t)?;
        let of = orders::Handing { line, n, even_if_set_aside };
        let entry = orders::hand_over(t, undo, (id, revision), of, &workshop)?;
        Ok(Written { entry, undo })
    });
    written.await.map(Json)
}

/// Hands over everything of an order that is in bags.
#[utoipa::path(post, path = "/api/orders/{id}/hand-over-all", params(("id" = i64, Path), Revised),
    responses((status = 200, body = Written<Order>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn hand_over_all(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(Revised { revision }): Query<Revised>,
) -> Result<Json<Written<Order>>, Problem> {
    let workshop = state.store.workshop();
    let written = write(&state, move |t| {
        let undo = batch::next(t)?;
        let entry = orders::hand_over_all(t, undo, (id, revision), &workshop)?;
        Ok(Written { entry, undo })
    });
    written.await.map(Json)
}
