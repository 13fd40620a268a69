//! Kept pieces, rings, findings and chains alike: one list, drawn small, taken out as one document.

use axum::Json;
use axum::extract::State as Shared;
use axum::response::Response;
use lorimant_core::chain::weave::Weave;
use lorimant_core::drawing::Thumbnail;
use lorimant_core::fault::Fault;
use lorimant_core::piece::Piece;
use serde::Deserialize;
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::hundred;
use super::work::aside;
use super::{file, made, read};
use crate::document::plans::PlanDocument;
use crate::extract::{Body, Query};
use crate::kept::{KeptChain, KeptPattern, KeptPlan};
use crate::problem::Problem;
use crate::state::State;
use crate::store::pieces::{self, KeptPiece, KeptPieces, Which};
use crate::store::shelf::{Entry, Shelf, Wanted};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_kept))
        .routes(routes!(kept_as))
        .routes(routes!(all_kept_json))
        .routes(routes!(draw_thumbnails))
}

/// What part of the kept pieces is wanted.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
struct KeptQuery {
    /// Words to find in name, note and piece.
    #[serde(default)]
    find: String,
    /// Rings, findings, or both; both if left out.
    #[serde(default)]
    #[param(inline)]
    which: Which,
    /// Those put away instead of those in use.
    #[serde(default)]
    archived: bool,
    /// How many to pass over; 0 if left out.
    #[serde(default)]
    skip: u32,
    /// How many at most, up to 500; 100 if left out.
    #[serde(default = "hundred")]
    most: u32,
}

/// Lists kept ring plans and findings together, last changed first.
#[utoipa::path(get, path = "/api/saved", params(KeptQuery), responses((status = 200, body = KeptPieces)))]
async fn list_kept(
    Shared(state): Shared<State>,
    Query(query): Query<KeptQuery>,
) -> Result<Json<KeptPieces>, Problem> {
    let KeptQuery { find, which, archived, skip, most } = query;
    let wanted = Wanted { find, archived, skip, most: most.clamp(1, 500) };
    read(&state, move |connection| pieces::pieces(connection, which, &wanted)).await.map(Json)
}

/// A name that is asked about.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
struct NameQuery {
    /// The name.
    name: String,
    /// The number of the piece that is to be called so, if it is kept already.
    #[serde(default)]
    but: Option<i64>,
}

/// What else is kept under a name, in whatever letters: at most ten.
#[utoipa::path(get, path = "/api/saved/named", params(NameQuery), responses((status = 200, body = [KeptPiece])))]
async fn kept_as(
    Shared(state): Shared<State>,
    Query(NameQuery { name, but }): Query<NameQuery>,
) -> Result<Json<Vec<KeptPiece>>, Problem> {
    read(&state, move |connection| pieces::named(connection, &name, but)).await.map(Json)
}

/// Everything that is kept as one JSON document, in the published schema.
#[utoipa::path(get, path = "/api/saved/all.json", responses((status = 200, body = PlanDocument)))]
async fn all_kept_json(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let document = read(&state, |c| {
        let plans: Vec<Entry<KeptPlan>> = Shelf::Plans.all(c)?;
        let patterns: Vec<Entry<KeptPattern>> = Shelf::Patterns.all(c)?;
        let chains: Vec<Entry<KeptChain>> = Shelf::Chains.all(c)?;
        let weaves: Vec<Entry<Weave>> = Shelf::Weaves.all(c)?;
        let of = PlanDocument::of(
            plans.into_iter().map(|entry| entry.record).collect(),
            patterns.into_iter().map(|entry| entry.record).collect(),
        );
        Ok(PlanDocument {
            chains: chains.into_iter().map(|entry| entry.record).collect(),
            weaves: weaves.into_iter().map(|entry| entry.record).collect(),
            ..of
        })
    });
    let document = document.await?;
    let bytes = made(&state, move |_| Ok(serde_json::to_vec_pretty(&document)?)).await?;
    Ok(file("application/json", "lorimant-saved.json", bytes))
}

/// Pieces to draw small.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Drawn {
    /// The pieces, at most 200.
    pieces: Vec<Piece>,
}

/// Most pieces drawn small at once.
const MOST_DRAWN: usize = 200;

/// Draws pieces as lists show them; none for one that cannot be made.
#[utoipa::path(post, path = "/api/thumbnails", request_body = Drawn,
    responses((status = 200, body = Vec<Option<Thumbnail>>), (status = 422, body = Problem)))]
async fn draw_thumbnails(
    Shared(state): Shared<State>,
    Body(Drawn { pieces }): Body<Drawn>,
) -> Result<Json<Vec<Option<Thumbnail>>>, Problem> {
    let n = pieces.len();
    if n > MOST_DRAWN {
        let message = text!("api-kept-pieces-too-many-draw-at", n, MOST_DRAWN);
        return Err(Fault::new("pieces", message).limit(200.0).into());
    }
    let workshop = state.store.workshop();
    aside(move || pieces.iter().map(|piece| piece.thumbnail(&workshop).ok()).collect()).await.map(Json)
}
