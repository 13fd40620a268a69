//! The ask line, and single lengths.

use axum::Json;
use axum::extract::State as Shared;
use lorimant_core::ask::Answer;
use lorimant_core::fault::Fault;
use lorimant_core::length::{self, Reading};
use serde::Deserialize;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::State;
use crate::problem::{Body, Problem};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(ask)).routes(routes!(read_length))
}

/// A typed line.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Typed {
    /// What was typed.
    text: String,
}

/// Answers the ask line.
#[utoipa::path(post, path = "/api/ask", request_body = Typed,
    responses((status = 200, body = Answer), (status = 422, body = Problem)))]
async fn ask(Shared(state): Shared<State>, Body(typed): Body<Typed>) -> Json<Answer> {
    Json(lorimant_core::ask::answer(&typed.text, &state.store.workshop()))
}

/// Reads one typed length.
#[utoipa::path(post, path = "/api/lengths/read", request_body = Typed,
    responses((status = 200, body = Reading), (status = 422, body = Problem)))]
async fn read_length(
    Shared(state): Shared<State>,
    Body(typed): Body<Typed>,
) -> Result<Json<Reading>, Problem> {
    let reading = length::read(&typed.text, state.store.workshop().habits);
    reading.map(Json).map_err(|said| Fault::new("text", said).into())
}
