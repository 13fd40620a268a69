//! How far a long request has come.

use axum::Json;
use axum::extract::State as Shared;
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::extract::Path;
use crate::state::State;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(progress))
}

/// How far a request has come.
#[derive(Serialize, ToSchema)]
struct RequestProgress {
    /// Whether it is being answered: not before it has arrived, and not after its answer.
    under_way: bool,
    /// From 0 to 1; none where that is not known, as while it waits for its turn.
    #[serde(skip_serializing_if = "Option::is_none")]
    share: Option<f64>,
}

/// How far a request has come that named itself in the header `request-name`.
#[utoipa::path(get, path = "/api/progress/{name}", params(("name" = String, Path)),
    responses((status = 200, body = RequestProgress)))]
async fn progress(Shared(state): Shared<State>, Path(name): Path<String>) -> Json<RequestProgress> {
    let found = state.under_way.share(&name);
    Json(RequestProgress { under_way: found.is_some(), share: found.flatten() })
}
