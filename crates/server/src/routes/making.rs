//! How a piece is made: its route, operation by operation.

use axum::Json;
use axum::extract::State as Shared;
use lorimant_core::chain::ChainRequest;
use lorimant_core::fault::Fault;
use lorimant_core::making::Changes;
use lorimant_core::pattern::PatternRequest;
use lorimant_core::piece::Piece;
use lorimant_core::piece::route::Route;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::method::{MethodChanges, Methods};
use lorimant_core::tool::questions::{MethodQuestion, questions};
use lorimant_core::tool::workshop::Workshop;
use serde::Deserialize;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::worked;
use crate::extract::Body;
use crate::problem::Problem;
use crate::state::State;
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(route)).routes(routes!(method_questions))
}

/// A piece whose making is asked for: a plan of rings, a finding or a chain, one of them.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Asked {
    /// A plan of rings, as for `/api/rings/plan`.
    #[serde(default)]
    rings: Option<RingRequest>,
    /// A finding, as for `/api/findings/form`.
    #[serde(default)]
    finding: Option<PatternRequest>,
    /// A chain, as for `/api/chains/sheet`.
    #[serde(default)]
    chain: Option<ChainRequest>,
    /// The methods it is made by; the workshop's if left out.
    #[serde(default)]
    methods: Option<Methods>,
    /// What is changed about its route.
    #[serde(default)]
    route: Changes,
}

/// The route of a piece: every operation in order with its numbers, which are enough to make the piece by, what it takes,
/// and the workpiece after it. Minutes and strains are estimates.
#[utoipa::path(post, path = "/api/making/route", request_body = Asked,
    responses((status = 200, body = Route), (status = 422, body = Problem)))]
async fn route(Shared(state): Shared<State>, Body(asked): Body<Asked>) -> Result<Json<Route>, Problem> {
    let Asked { rings, finding, chain, methods, route } = asked;
    let (of, piece) = match (rings, finding, chain) {
        (Some(rings), None, None) => ("rings", Piece::Rings(rings)),
        (None, Some(finding), None) => ("finding", Piece::Finding(finding)),
        (None, None, Some(chain)) => ("chain", Piece::Chain(Box::new(chain))),
        (None, None, None) => {
            let message = text!("api-making-enter-what-make-rings-finding");
            return Err(Fault::new("rings", message).into());
        }
        (_, finding, _) => {
            let message = text!("api-making-rings-finding-chain-several-pieces");
            return Err(Fault::new(if finding.is_some() { "finding" } else { "chain" }, message).into());
        }
    };
    worked(&state, move |workshop| {
        piece.check().map_err(|faults| faults.within(of))?;
        let mut changes = if route.is_empty() { piece.changes().clone() } else { route };
        let Some(methods) = methods else { return piece.changed(changes).route(workshop) };
        changes.methods = MethodChanges::all(changes.methods.over(methods));
        piece.changed(changes).route(&Workshop { methods, ..workshop.clone() })
    })
    .await
}

/// Where makers differ about making: every question with its methods and what each trades.
#[utoipa::path(get, path = "/api/methods", responses((status = 200, body = Vec<MethodQuestion>)))]
async fn method_questions() -> Json<Vec<MethodQuestion>> {
    Json(questions())
}
