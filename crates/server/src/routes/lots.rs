//! Lots on the rack, their ledger, and stock-taking by weight.

use axum::Json;
use axum::extract::State as Shared;
use axum::http::StatusCode;
use lorimant_core::fault::{Fault, Faults};
use lorimant_core::rack::stock::StockKind;
use lorimant_core::rack::stock::weighing::{Held, Weighed};
use lorimant_core::rack::stock::{Lot, Movement, MovementKind, scale};
use lorimant_core::wire::metal::Metal;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::{Archive, Revised, edit, hundred};
use super::{read, write};
use crate::extract::{Body, Path, Query};
use crate::problem::Problem;
use crate::state::State;
use crate::store::StoreError;
use crate::store::batch;
use crate::store::checks;
use crate::store::ledger::{self, LedgerLine};
use crate::store::rack::{self, MetalTotal, Rack, Stocked, WantedLots};
use crate::store::shelf::{Edit, Shelf, Written};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_lots, receive_lot))
        .routes(routes!(receiving_lot))
        .routes(routes!(metal_totals))
        .routes(routes!(get_lot, change_lot))
        .routes(routes!(archive_lot))
        .routes(routes!(lot_ledger, book_movement))
        .routes(routes!(reverse_line))
        .routes(routes!(set_aside))
        .routes(routes!(weigh_lot))
        .routes(routes!(read_scale))
        .routes(routes!(lay_on_scale))
}

/// What part of the rack is wanted.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
struct RackQuery {
    /// Words to find.
    #[serde(default)]
    find: String,
    /// Only this metal.
    metal: Option<Metal>,
    /// Only spools, offcuts or straight lengths.
    kind: Option<StockKind>,
    /// Only those that still hold a piece of this length, mm; of each wire the shortest that does first.
    holds_mm: Option<f64>,
    /// Those used up or put away instead of those with wire on them.
    #[serde(default)]
    used_up: bool,
    /// How many to pass over; 0 if left out.
    #[serde(default)]
    skip: u32,
    /// How many at most, up to 500; 100 if left out.
    #[serde(default = "hundred")]
    most: u32,
}

/// What stands on the rack, by metal and size, with what is left of each lot.
#[utoipa::path(get, path = "/api/lots", params(RackQuery), responses((status = 200, body = Rack)))]
async fn list_lots(
    Shared(state): Shared<State>,
    Query(query): Query<RackQuery>,
) -> Result<Json<Rack>, Problem> {
    let RackQuery { find, metal, kind, holds_mm, used_up, skip, most } = query;
    let wanted = WantedLots { find, metal, kind, holds_mm, used_up, skip, most: most.clamp(1, 500) };
    read(&state, move |connection| rack::rack(connection, &wanted)).await.map(Json)
}

/// What there is of each metal, the heaviest first.
#[utoipa::path(get, path = "/api/lots/metals", responses((status = 200, body = Vec<MetalTotal>)))]
async fn metal_totals(Shared(state): Shared<State>) -> Result<Json<Vec<MetalTotal>>, Problem> {
    read(&state, rack::metals).await.map(Json)
}

/// Wire that comes in: the lot, and how much of it, by length or by weight.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Received {
    /// The lot.
    lot: Lot,
    /// Length that comes in, mm.
    #[serde(default)]
    length_mm: Option<f64>,
    /// Weight of the wire that comes in, without its spool, g.
    #[serde(default)]
    mass_g: Option<f64>,
}

/// What was booked, and the number that undoes it.
#[derive(Serialize, ToSchema)]
struct BookedLot {
    /// The lot as it now stands.
    lot: Stocked,
    /// Number to post to `/api/undo/{batch}`.
    undo: i64,
}

/// Receives a lot: puts it on the rack and books its wire as bought.
#[utoipa::path(post, path = "/api/lots", request_body = Received,
    responses((status = 201, body = BookedLot), (status = 422, body = Problem)))]
async fn receive_lot(
    Shared(state): Shared<State>,
    Body(Received { lot, length_mm, mass_g }): Body<Received>,
) -> Result<(StatusCode, Json<BookedLot>), Problem> {
    let (lot, line) = lot.received(length_mm, mass_g)?;
    let booked = write(&state, move |t| {
        let undo = batch::next(t)?;
        let received = rack::receive(t, undo, &lot, &[line])?;
        if !lot.pulls.is_empty() {
            checks::relearn_all(t)?;
        }
        Ok(BookedLot { lot: received, undo })
    });
    Ok((StatusCode::CREATED, Json(booked.await?)))
}

/// What receiving a lot would do.
#[derive(Serialize, ToSchema)]
struct Receiving {
    /// Which lot it will be, in a sentence.
    text: String,
    /// Its length, mm.
    length_mm: f64,
}

/// Says which lot would be received, and beside which; nothing is booked.
#[utoipa::path(post, path = "/api/lots/receiving", request_body = Received,
    responses((status = 200, body = Receiving), (status = 422, body = Problem)))]
async fn receiving_lot(
    Shared(state): Shared<State>,
    Body(Received { lot, length_mm, mass_g }): Body<Received>,
) -> Result<Json<Receiving>, Problem> {
    let (lot, line) = lot.received(length_mm, mass_g)?;
    let there = read(&state, rack::in_stock).await?;
    let others: Vec<Lot> = there.into_iter().map(|lot| lot.entry.record).collect();
    let text = lot.receiving(line.length_mm, &others, state.store.workshop().habits.unit);
    Ok(Json(Receiving { text, length_mm: line.length_mm }))
}

/// One lot with what is left of it.
#[utoipa::path(get, path = "/api/lots/{id}", params(("id" = i64, Path)),
    responses((status = 200, body = Stocked), (status = 404, body = Problem)))]
async fn get_lot(Shared(state): Shared<State>, Path(id): Path<i64>) -> Result<Json<Stocked>, Problem> {
    read(&state, move |connection| rack::lot(connection, id)).await.map(Json)
}

/// Changes what is written of a lot; what is left of it changes only through the ledger.
#[utoipa::path(put, path = "/api/lots/{id}", params(("id" = i64, Path), Revised), request_body = Lot,
    responses((status = 200, body = Written<Lot>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn change_lot(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(Revised { revision }): Query<Revised>,
    Body(lot): Body<Lot>,
) -> Result<Json<Written<Lot>>, Problem> {
    lot.check()?;
    let written = write(&state, move |t| {
        let undo = batch::next(t)?;
        let entry = Shelf::Lots.edit(t, undo, id, revision, &Edit::Replace(lot))?;
        // What was pulled of it says something else of another wire.
        checks::relearn_all(t)?;
        Ok(Written { entry, undo })
    });
    written.await.map(Json)
}

/// Takes a lot off the rack, or puts it back; its ledger stays.
#[utoipa::path(post, path = "/api/lots/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<Lot>), (status = 409, body = Problem)))]
async fn archive_lot(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<Lot>>, Problem> {
    edit(&state, Shelf::Lots, id, wish.revision, Edit::Archive(wish.archived)).await
}

/// The ledger of a lot, newest line first, with what was left after each.
#[utoipa::path(get, path = "/api/lots/{id}/ledger", params(("id" = i64, Path)),
    responses((status = 200, body = Vec<LedgerLine>), (status = 404, body = Problem)))]
async fn lot_ledger(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<Vec<LedgerLine>>, Problem> {
    read(&state, move |connection| {
        rack::lot(connection, id)?;
        ledger::lines(connection, id)
    })
    .await
    .map(Json)
}

/// A change of a lot's length: by its length, or as it was typed; one of the two.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Booked {
    /// Why the amount changes: bought, cut, scrapped.
    kind: MovementKind,
    /// Change of length, mm; negative where wire goes out.
    #[serde(default)]
    length_mm: Option<f64>,
    /// The amount as typed, by length or weight: `120 mm`, `2 g`; a correction says its way by its sign.
    #[serde(default)]
    typed: Option<String>,
    /// What for, at most 200 characters.
    #[serde(default)]
    note: String,
}

/// What was booked, as it stands in the ledger.
#[derive(Serialize, ToSchema)]
struct BookedMovement {
    /// Change of length, mm.
    length_mm: f64,
    /// The lot as it now stands.
    lot: Stocked,
    /// Number to post to `/api/undo/{batch}`.
    undo: i64,
}

/// Books a change of a lot's length: what was cut, tried, scrapped, bought on top, or found on counting.
#[utoipa::path(post, path = "/api/lots/{id}/ledger", params(("id" = i64, Path)), request_body = Booked,
    responses((status = 201, body = BookedMovement), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn book_movement(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(Booked { kind, length_mm, typed, note }): Body<Booked>,
) -> Result<(StatusCode, Json<BookedMovement>), Problem> {
    let line = match (length_mm, typed) {
        (Some(length_mm), None) => Movement { kind, length_mm, note },
        (None, Some(typed)) => {
            let wire = read(&state, move |connection| rack::lot(connection, id)).await?.entry.record.wire;
            Movement::typed(kind, &typed, &note, &wire, state.store.workshop().habits)?
        }
        _ => {
            return Err(Fault::new("typed", text!("api-lots-enter-how-much-length-mm")).into());
        }
    };
    line.check()?;
    let booked = write(&state, move |t| {
        rack::lot(t, id)?;
        let undo = batch::next(t)?;
        ledger::book(t, undo, id, &line)?;
        Ok(BookedMovement { length_mm: line.length_mm, lot: rack::lot(t, id)?, undo })
    });
    Ok((StatusCode::CREATED, Json(booked.await?)))
}

/// What was reversed can be undone like everything else.
#[derive(Serialize, ToSchema)]
struct ReversedLine {
    /// Number to post to `/api/undo/{batch}`.
    undo: i64,
}

/// Reverses a line of the ledger by another of the opposite length; the line itself stays.
#[utoipa::path(post, path = "/api/ledger/{id}/reverse", params(("id" = i64, Path)),
    responses((status = 200, body = ReversedLine), (status = 404, body = Problem), (status = 409, body = Problem),
        (status = 422, body = Problem)))]
async fn reverse_line(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<ReversedLine>, Problem> {
    let undo = write(&state, move |t| {
        let undo = batch::next(t)?;
        ledger::reverse(t, undo, id)?;
        Ok(undo)
    });
    Ok(Json(ReversedLine { undo: undo.await? }))
}

/// A length to set aside as an offcut of its own.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct SetAside {
    /// What stands on its tag.
    name: String,
    /// Its length, mm.
    length_mm: f64,
}

/// Takes a length off a lot and puts it on the rack as an offcut, with its share of the price.
#[utoipa::path(post, path = "/api/lots/{id}/set-aside", params(("id" = i64, Path)), request_body = SetAside,
    responses((status = 201, body = BookedLot), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn set_aside(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(SetAside { name, length_mm }): Body<SetAside>,
) -> Result<(StatusCode, Json<BookedLot>), Problem> {
    let line = Movement { kind: MovementKind::Bought, length_mm, note: String::new() };
    line.check()?;
    let booked = write(&state, move |t| {
        let undo = batch::next(t)?;
        Ok(BookedLot { lot: rack::set_aside(t, undo, id, &name, length_mm)?, undo })
    });
    Ok((StatusCode::CREATED, Json(booked.await?)))
}

/// A weight, as it was typed, sent by a scale, or typed by one that acts as a keyboard.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Weighing {
    /// `182.31 g`, spool and all; grams where it has no unit.
    typed: String,
    /// What the empty spool weighs, g, where the lot does not say; it is noted on the lot once it is booked.
    #[serde(default)]
    tare_g: Option<f64>,
    /// Whether to book what it says as a correction, or only to look.
    #[serde(default)]
    book: bool,
    /// That it is so although it is doubted.
    #[serde(default)]
    sure: bool,
}

/// What a weight says of a lot.
#[derive(Serialize, ToSchema)]
struct WeighedLot {
    /// What it says.
    weighed: Weighed,
    /// The lot as it now stands.
    lot: Stocked,
    /// Number to post to `/api/undo/{batch}`; none where nothing was booked.
    #[serde(skip_serializing_if = "Option::is_none")]
    undo: Option<i64>,
}

/// Says what is left of a lot by its weight, and books the difference where asked to.
#[utoipa::path(post, path = "/api/lots/{id}/weigh", params(("id" = i64, Path)), request_body = Weighing,
    responses((status = 200, body = WeighedLot), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn weigh_lot(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(Weighing { typed, tare_g, book, sure }): Body<Weighing>,
) -> Result<Json<WeighedLot>, Problem> {
    let gross_g = scale::read(&typed)?;
    let unit = state.store.workshop().habits.unit;
    if !book {
        let look = read(&state, move |c| Ok((rack::lot(c, id)?, ledger::most_mm(c, id)?)));
        let (lot, most_mm) = look.await?;
        let held = Held { left_mm: lot.balance.left_mm, most_mm };
        let weighed = lot.entry.record.weighed(gross_g, tare_g, held, unit)?;
        return Ok(Json(WeighedLot { weighed, lot, undo: None }));
    }
    let booked = write(&state, move |t| {
        let lot = rack::lot(t, id)?;
        let Stocked { entry, balance, .. } = &lot;
        let held = Held { left_mm: balance.left_mm, most_mm: ledger::most_mm(t, id)? };
        let weighed = entry.record.weighed(gross_g, tare_g, held, unit).map_err(Faults::from)?;
        if let Some(doubt) = weighed.doubt.as_ref().filter(|_| !sure) {
            return Err(StoreError::Refused(Fault::new("typed", doubt).limit(held.most_mm).into()));
        }
        let noted = tare_g.filter(|_| entry.record.tare_g.is_none());
        let line = weighed.correction();
        if line.is_none() && noted.is_none() {
            return Ok(WeighedLot { weighed, lot, undo: None });
        }
        let undo = batch::next(t)?;
        if let Some(line) = line {
            ledger::book(t, undo, id, &line)?;
        }
        if noted.is_some() {
            let record = Lot { tare_g: noted, ..entry.record.clone() };
            Shelf::Lots.edit(t, undo, id, entry.revision, &Edit::Replace(record))?;
        }
        Ok(WeighedLot { weighed, lot: rack::lot(t, id)?, undo: Some(undo) })
    });
    booked.await.map(Json)
}

/// A scale's reading.
#[derive(Serialize, ToSchema)]
struct ScaleReading {
    /// Its line of text, as it was sent.
    line: String,
    /// What it reads, g.
    mass_g: f64,
    /// Whether it is the simulated scale.
    simulated: bool,
}

/// Takes a reading from the scale.
#[utoipa::path(get, path = "/api/scale",
    responses((status = 200, body = ScaleReading), (status = 422, body = Problem), (status = 503, body = Problem)))]
async fn read_scale(Shared(state): Shared<State>) -> Result<Json<ScaleReading>, Problem> {
    let line = state
        .instruments
        .scale
        .line()
        .await
        .map_err(|error| Problem::no_device("scale", &error, text!("api-lots-type-weight")))?;
    let mass_g = scale::read(&line)?;
    Ok(Json(ScaleReading { line, mass_g, simulated: state.instruments.scale.is_simulated() }))
}

/// What to lay on the simulated scale.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct OnTheScale {
    /// The lot's number; nothing lies on it if left out.
    #[serde(default)]
    lot: Option<i64>,
}

/// Lays a lot on the simulated scale; a real one has hands for that.
#[utoipa::path(post, path = "/api/scale/pan", request_body = OnTheScale,
    responses((status = 204), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn lay_on_scale(
    Shared(state): Shared<State>,
    Body(on): Body<OnTheScale>,
) -> Result<StatusCode, Problem> {
    let Some(pan) = state.instruments.scale.pan() else {
        return Err(Fault::new("lot", text!("api-lots-real-scale-connected-put-spool")).into());
    };
    match on.lot {
        Some(id) => {
            let lot = read(&state, move |connection| rack::lot(connection, id)).await?;
            pan.lay(id, lot.balance.left_g, lot.balance.gross_g);
        }
        None => pan.clear(),
    }
    Ok(StatusCode::NO_CONTENT)
}
