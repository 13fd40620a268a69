//! All of the workshop in one file, taken while it is being used.

use axum::body::Body;
use axum::extract::State as Shared;
use axum::response::Response;
use tokio_util::io::ReaderStream;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{aside, file};
use crate::problem::Problem;
use crate::state::State;
use crate::store::StoreError;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(backup))
}

/// A copy of the workshop's file as it stands at this moment, which a server can be started with.
#[utoipa::path(get, path = "/api/backup", responses(
    (status = 200, body = Vec<u8>, content_type = "application/vnd.sqlite3"), (status = 503, body = Problem)))]
async fn backup(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let store = state.store.clone();
    let copied = aside(move || -> Result<_, StoreError> {
        let folder = tempfile::tempdir().map_err(StoreError::Unopened)?;
        let copy = folder.path().join("backup.lorimant");
        store.back_up(&copy)?;
        let copy = std::fs::File::open(copy).map_err(StoreError::Unopened)?;
        // The folder goes at once; the file lasts until it has been sent.
        Ok(copy)
    });
    let copy = tokio::fs::File::from_std(copied.await??);
    let name = format!("workshop-{}.lorimant", jiff::Timestamp::now().strftime("%Y-%m-%d"));
    Ok(file("application/vnd.sqlite3", &name, Body::from_stream(ReaderStream::new(copy))))
}
