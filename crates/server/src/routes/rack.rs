//! Wire in stock: what a listing sells, and which blank is cut from what.

use std::time::{Duration, Instant};

use axum::Json;
use axum::extract::State as Shared;
use lorimant_core::cut_plan::{CutPlan, CutRequest};
use lorimant_core::listing::{self, Listing};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::State;
use crate::problem::{Body, Problem};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(solve_cut_plan)).routes(routes!(decode_listing))
}

/// How long something better than a first good plan is looked for.
const SOLVING: Duration = Duration::from_millis(800);

/// Plans which blank is cut from which piece of stock: everything made, then least scrap, then offcuts
/// before spools, then few rests.
#[utoipa::path(post, path = "/api/cut-plans/solve", request_body = CutRequest,
    responses((status = 200, body = CutPlan), (status = 422, body = Problem)))]
async fn solve_cut_plan(Body(request): Body<CutRequest>) -> Result<Json<CutPlan>, Problem> {
    let solving = tokio::task::spawn_blocking(move || {
        let start = Instant::now();
        request.solve(&|| start.elapsed() < SOLVING)
    });
    let plan = solving.await.map_err(|_| Problem::internal("The cut plan could not be worked out."))?;
    Ok(Json(plan?))
}

/// A shop's line to read.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct ListingText {
    /// The line, as it was pasted; at most 300 characters are read.
    text: String,
    /// A blank to price, mm.
    #[serde(default)]
    blank_mm: Option<f64>,
}

/// What a listing says, with the price of a blank where one was asked for.
#[derive(Serialize, ToSchema)]
struct Decoded {
    /// What it says.
    #[serde(flatten)]
    listing: Listing,
    /// Price of the blank, as a decimal number.
    #[serde(skip_serializing_if = "Option::is_none")]
    per_blank: Option<String>,
}

/// Reads a shop's listing; what it does not say, or says in more than one way, is pointed out.
#[utoipa::path(post, path = "/api/listings/decode", request_body = ListingText,
    responses((status = 200, body = Decoded), (status = 422, body = Problem)))]
async fn decode_listing(Shared(state): Shared<State>, Body(asked): Body<ListingText>) -> Json<Decoded> {
    let listing = listing::decode(&asked.text, state.store.workshop().habits);
    let price = asked.blank_mm.and_then(|mm| listing.price_of(mm));
    Json(Decoded { per_blank: price.map(|price| price.to_string()), listing })
}
