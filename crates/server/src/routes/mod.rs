//! What the server answers, by noun.

mod ask;
mod buying;
mod choosing;
mod cutting;
mod guide;
mod kept_patterns;
mod lots;
mod patterns;
mod plans;
mod rack_files;
mod rings;
mod session;
mod settings;
mod tools;

use axum::Json;
use axum::http::header;
use axum::response::{IntoResponse as _, Response};
use utoipa::OpenApi;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::State;
use crate::problem::Problem;
use crate::store::{Store, StoreError};

/// The API's own description.
#[derive(OpenApi)]
#[openapi(info(
    title = "Lorimant",
    description = "A bench companion for wire jewellers. Lengths in mm, masses in g, forces in N; field names end in \
                   their unit. Unknown fields are refused. Errors are RFC 9457 problem documents."
))]
struct Description;

pub(crate) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::with_openapi(Description::openapi())
        .routes(routes!(health))
        .merge(ask::router())
        .merge(guide::router())
        .merge(kept_patterns::router())
        .merge(patterns::router())
        .merge(plans::router())
        .merge(buying::router())
        .merge(choosing::router())
        .merge(cutting::router())
        .merge(lots::router())
        .merge(rack_files::router())
        .merge(rings::router())
        .merge(session::router())
        .merge(settings::router())
        .merge(tools::router())
}

/// Whether the server is up and its file readable.
#[utoipa::path(get, path = "/api/health", responses((status = 200, body = Health)))]
async fn health(axum::extract::State(state): axum::extract::State<State>) -> Result<Json<Health>, Problem> {
    read(&state, crate::store::settings).await?;
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

/// A made file, to be saved under a name.
fn file(kind: &str, name: &str, bytes: impl Into<axum::body::Body>) -> Response {
    let disposition = format!("attachment; filename=\"{name}\"");
    ([(header::CONTENT_TYPE, kind.to_owned()), (header::CONTENT_DISPOSITION, disposition)], bytes.into())
        .into_response()
}

/// Makes a file without holding up other requests.
async fn made(work: impl FnOnce() -> anyhow::Result<Vec<u8>> + Send + 'static) -> Result<Vec<u8>, Problem> {
    let made = tokio::task::spawn_blocking(work).await;
    made.map_err(|_| Problem::internal("The file could not be drawn."))?
        .map_err(|error| Problem::internal(format!("The file could not be written: {error}.")))
}

type Stored<T> = Result<T, StoreError>;

/// Reads from the file without holding up other requests.
async fn read<T: Send + 'static>(
    state: &State,
    work: impl FnOnce(&rusqlite::Connection) -> Stored<T> + Send + 'static,
) -> Result<T, Problem> {
    off_thread(state, move |store| store.read(work)).await
}

/// Writes to the file without holding up other requests.
async fn write<T: Send + 'static>(
    state: &State,
    work: impl FnOnce(&rusqlite::Transaction) -> Stored<T> + Send + 'static,
) -> Result<T, Problem> {
    off_thread(state, move |store| store.write(work)).await
}

async fn off_thread<T: Send + 'static>(
    state: &State,
    work: impl FnOnce(&Store) -> Stored<T> + Send + 'static,
) -> Result<T, Problem> {
    let store = state.store.clone();
    let done = tokio::task::spawn_blocking(move || work(&store)).await;
    done.map_err(|_| Problem::internal("The work broke off. Nothing was changed."))?.map_err(Problem::from)
}
