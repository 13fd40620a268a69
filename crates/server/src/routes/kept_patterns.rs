//! Kept patterns: finding, keeping, revising, putting away, and their earlier revisions.

use axum::Json;
use axum::extract::State as Shared;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::shelf_routes;
use super::read;
use crate::extract::Path;
use crate::kept::KeptPattern;
use crate::problem::Problem;
use crate::state::State;
use crate::store::shelf::{Entry, Revision, Shelf};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_patterns, keep_pattern))
        .routes(routes!(get_pattern, change_pattern))
        .routes(routes!(archive_pattern))
        .routes(routes!(pattern_revisions))
}

shelf_routes! {
    Patterns of KeptPattern;
    /// Lists kept patterns, last changed first.
    list_patterns at "/api/findings";
    /// Keeps a pattern.
    keep_pattern;
    /// Changes a kept pattern; what it was stays as a revision.
    change_pattern at "/api/findings/{id}";
    /// Puts a pattern away, or takes it out again.
    archive_pattern at "/api/findings/{id}/archive";
}

/// One kept pattern.
#[utoipa::path(get, path = "/api/findings/{id}", params(("id" = i64, Path)),
    responses((status = 200, body = Entry<KeptPattern>), (status = 404, body = Problem)))]
async fn get_pattern(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<Entry<KeptPattern>>, Problem> {
    read(&state, move |connection| Shelf::Patterns.get(connection, id)).await.map(Json)
}

/// A pattern as it stood at each revision, newest first.
#[utoipa::path(get, path = "/api/findings/{id}/revisions", params(("id" = i64, Path)),
    responses((status = 200, body = [Revision<KeptPattern>]), (status = 404, body = Problem)))]
async fn pattern_revisions(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<Vec<Revision<KeptPattern>>>, Problem> {
    read(&state, move |connection| Shelf::Patterns.revisions(connection, id)).await.map(Json)
}
