//! Choosing a wire, and what a piece costs.

use axum::Json;
use axum::extract::State as Shared;
use lorimant_core::fault::Faults;
use lorimant_core::piece::Piece;
use lorimant_core::rack::choose::{ChooseRequest, Choosing, Use, WireCandidate};
use lorimant_core::rack::cost::{Cost, CostRequest, CostStart};
use lorimant_core::rack::stock::price::{OnRack, Rack};
use lorimant_core::wire::Wire;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{read, worked};
use crate::extract::Body;
use crate::kept::Settings;
use crate::problem::Problem;
use crate::state::State;
use crate::store::rack;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(uses))
        .routes(routes!(choose_wire))
        .routes(routes!(compare_wires))
        .routes(routes!(work_out_cost))
        .routes(routes!(start_cost))
}

/// What is on the rack and what it cost, with the settings.
async fn known(state: &State) -> Result<(Rack, Settings), Problem> {
    let ((settings, _), lots) = read(state, |c| Ok((crate::store::settings(c)?, rack::in_stock(c)?))).await?;
    let lots = lots.into_iter().map(|lot| OnRack {
        wire: lot.entry.record.covered_wire(),
        left_mm: lot.balance.left_mm,
        per_metre: lot.balance.per_metre,
    });
    let rack = Rack::new(lots, settings.metal_prices.clone());
    Ok((rack, settings))
}

/// What wire may be wanted for, where no piece is thought of yet.
#[derive(Serialize, ToSchema)]
struct WantedFor {
    /// The word it goes by.
    word: &'static str,
    /// What it is called.
    label: &'static str,
    /// The question that is meant by it.
    request: ChooseRequest,
    /// What it must hold, as it is typed: `200 g`; empty where nothing hangs on it.
    bears: String,
    /// The hole it goes through, as it is typed: `0.7 mm`; empty where there is none.
    hole: String,
}

/// The uses wire is asked for, each with the question that is meant by it.
#[utoipa::path(get, path = "/api/wires/uses", responses((status = 200, body = Vec<WantedFor>), (status = 422, body = Problem)))]
async fn uses(Shared(state): Shared<State>) -> Result<Json<Vec<WantedFor>>, Problem> {
    worked(&state, |workshop| {
        let all = Use::ALL.iter().map(|one| {
            let request = one.request();
            let (bears, hole) = request.typed(workshop.habits.unit);
            WantedFor { word: one.word(), label: one.shown(), request, bears, hole }
        });
        Ok::<_, Faults>(all.collect())
    })
    .await
}

/// Ranks wires for a piece, with the reasons. Loads and efforts are estimates.
#[utoipa::path(post, path = "/api/wires/choose", request_body = ChooseRequest,
    responses((status = 200, body = Choosing), (status = 422, body = Problem)))]
async fn choose_wire(
    Shared(state): Shared<State>,
    Body(request): Body<ChooseRequest>,
) -> Result<Json<Choosing>, Problem> {
    let (rack, _) = known(&state).await?;
    worked(&state, move |workshop| request.choose(&rack, workshop)).await
}

/// Wires to set side by side for a piece.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Compared {
    /// What they are wanted for.
    request: ChooseRequest,
    /// One to four wires.
    wires: Vec<Wire>,
}

/// Weighs up to four wires for a piece, side by side.
#[utoipa::path(post, path = "/api/wires/compare", request_body = Compared,
    responses((status = 200, body = Vec<WireCandidate>), (status = 422, body = Problem)))]
async fn compare_wires(
    Shared(state): Shared<State>,
    Body(Compared { request, wires }): Body<Compared>,
) -> Result<Json<Vec<WireCandidate>>, Problem> {
    let (rack, _) = known(&state).await?;
    worked(&state, move |workshop| request.compare(&wires, &rack, workshop)).await
}

/// What a piece costs to make, against what it costs to buy.
#[utoipa::path(post, path = "/api/costs", request_body = CostRequest,
    responses((status = 200, body = Cost), (status = 422, body = Problem)))]
async fn work_out_cost(Body(request): Body<CostRequest>) -> Result<Json<Cost>, Problem> {
    Ok(Json(request.cost()?))
}

/// A piece whose cost is to be worked out: what is known of it before anything is typed.
#[utoipa::path(post, path = "/api/costs/start", request_body = Piece,
    responses((status = 200, body = CostStart), (status = 422, body = Problem)))]
async fn start_cost(
    Shared(state): Shared<State>,
    Body(purpose): Body<Piece>,
) -> Result<Json<CostStart>, Problem> {
    let (rack, settings) = known(&state).await?;
    worked(&state, move |workshop| CostStart::of(&purpose, &rack, settings.hour_rate, workshop)).await
}
