//! What the server answers, by noun.

mod ask;
mod backup;
mod bags;
mod bench;
mod buying;
mod chains;
mod checks;
mod choosing;
mod cutting;
mod described;
mod entries;
mod guide;
mod kept;
mod kept_chains;
mod kept_patterns;
mod labels;
mod learning;
mod lots;
mod making;
mod mine;
mod orders;
mod patterns;
mod plans;
mod progress;
mod pulls;
mod rack_files;
mod rings;
mod schedule;
mod session;
mod settings;
mod tools;
mod undoing;
mod whole;
mod winder;
mod work;

use axum::Json;
use utoipa::OpenApi;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::problem::Problem;
use crate::state::State;
use work::{aside, file, heavily, made, read, try_out, worked, write};

/// The API's own description.
#[derive(OpenApi)]
#[openapi(info(
    title = "Lorimant",
    description = "A bench companion for wire jewellers. Lengths in mm, masses in g, forces in N; field names end in \
                   their unit. Unknown fields are refused. Errors are RFC 9457 problem documents."
))]
struct Description;

/// The routes, and their description.
pub(crate) fn described() -> (axum::Router<State>, utoipa::openapi::OpenApi) {
    let (router, description) = router().split_for_parts();
    (router, described::with_refusals(description))
}

fn router() -> OpenApiRouter<State> {
    OpenApiRouter::with_openapi(Description::openapi())
        .routes(routes!(health))
        .merge(ask::router())
        .merge(backup::router())
        .merge(bags::router())
        .merge(bench::router())
        .merge(chains::router())
        .merge(checks::router())
        .merge(kept_chains::router())
        .merge(guide::router())
        .merge(kept::router())
        .merge(making::router())
        .merge(orders::router())
        .merge(kept_patterns::router())
        .merge(labels::router())
        .merge(learning::router())
        .merge(patterns::router())
        .merge(plans::router())
        .merge(pulls::router())
        .merge(progress::router())
        .merge(buying::router())
        .merge(choosing::router())
        .merge(cutting::router())
        .merge(lots::router())
        .merge(rack_files::router())
        .merge(rings::router())
        .merge(session::router())
        .merge(settings::router())
        .merge(schedule::router())
        .merge(tools::router())
        .merge(undoing::router())
        .merge(whole::router())
        .merge(winder::router())
}

/// Whether the server is up, and its file is there, readable and writable.
#[utoipa::path(get, path = "/api/health", responses((status = 200, body = Health)))]
async fn health(axum::extract::State(state): axum::extract::State<State>) -> Result<Json<Health>, Problem> {
    let store = state.store.clone();
    aside(move || store.health()).await??;
    Ok(Json(Health { status: "ok", version: env!("CARGO_PKG_VERSION") }))
}

/// How the server is.
#[derive(serde::Serialize, utoipa::ToSchema)]
struct Health {
    /// `ok`.
    status: &'static str,
    /// The program's version.
    version: &'static str,
}
