//! What was written, and taking it back.

use axum::Json;
use axum::extract::State as Shared;
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{read, write};
use crate::extract::Path;
use crate::problem::Problem;
use crate::state::State;
use crate::store::checks;
use crate::store::history::{self, WrittenBatch};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(history)).routes(routes!(undo))
}

/// What was written, the last first: the hundred last writes.
#[utoipa::path(get, path = "/api/history", responses((status = 200, body = [WrittenBatch])))]
async fn history(Shared(state): Shared<State>) -> Result<Json<Vec<WrittenBatch>>, Problem> {
    read(&state, |connection| history::last(connection, 100)).await.map(Json)
}

/// What undid something, and can be undone itself.
#[derive(Serialize, ToSchema)]
struct Undone {
    /// Number to post to `/api/undo/{batch}` to do it again.
    undo: i64,
}

/// Undoes a change, whatever it was.
#[utoipa::path(post, path = "/api/undo/{batch}", params(("batch" = i64, Path)),
    responses((status = 200, body = Undone), (status = 404, body = Problem), (status = 409, body = Problem)))]
async fn undo(Shared(state): Shared<State>, Path(batch): Path<i64>) -> Result<Json<Undone>, Problem> {
    let undo = write(&state, move |transaction| checks::undo(transaction, batch)).await?;
    Ok(Json(Undone { undo }))
}
