//! Kept patterns: finding, keeping, revising, putting away, and their earlier revisions.

use axum::Json;
use axum::extract::{Path, Query, State as Shared};
use axum::http::StatusCode;
use axum::response::Response;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::plans::{Archive, ListQuery, Revised, edit};
use super::read;
use super::tools::add;
use crate::State;
use crate::export::document::PlanDocument;
use crate::problem::{Body, Problem};
use crate::store::kept::{Kept as _, KeptPattern};
use crate::store::shelf::{Edit, Entry, Page, Revision, Shelf, Written};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_patterns, keep_pattern))
        .routes(routes!(get_pattern, change_pattern))
        .routes(routes!(archive_pattern))
        .routes(routes!(pattern_revisions))
        .routes(routes!(all_patterns_json))
}

/// Lists kept patterns, last changed first.
#[utoipa::path(get, path = "/api/patterns", params(ListQuery), responses((status = 200, body = Page<KeptPattern>)))]
async fn list_patterns(
    Shared(state): Shared<State>,
    Query(query): Query<ListQuery>,
) -> Result<Json<Page<KeptPattern>>, Problem> {
    read(&state, |connection| Shelf::Patterns.page(connection, &query.wanted())).await.map(Json)
}

/// Keeps a pattern.
#[utoipa::path(post, path = "/api/patterns", request_body = KeptPattern,
    responses((status = 201, body = Written<KeptPattern>), (status = 422, body = Problem)))]
async fn keep_pattern(
    Shared(state): Shared<State>,
    Body(pattern): Body<KeptPattern>,
) -> Result<(StatusCode, Json<Written<KeptPattern>>), Problem> {
    add(&state, Shelf::Patterns, pattern).await
}

/// One kept pattern.
#[utoipa::path(get, path = "/api/patterns/{id}", params(("id" = i64, Path)),
    responses((status = 200, body = Entry<KeptPattern>), (status = 404, body = Problem)))]
async fn get_pattern(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<Entry<KeptPattern>>, Problem> {
    read(&state, move |connection| Shelf::Patterns.get(connection, id)).await.map(Json)
}

/// Changes a kept pattern; what it was stays as a revision.
#[utoipa::path(put, path = "/api/patterns/{id}", params(("id" = i64, Path), Revised), request_body = KeptPattern,
    responses((status = 200, body = Written<KeptPattern>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn change_pattern(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(Revised { revision }): Query<Revised>,
    Body(pattern): Body<KeptPattern>,
) -> Result<Json<Written<KeptPattern>>, Problem> {
    pattern.check()?;
    edit(&state, Shelf::Patterns, id, revision, Edit::Replace(pattern)).await
}

/// Puts a pattern away, or takes it out again.
#[utoipa::path(post, path = "/api/patterns/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<KeptPattern>), (status = 409, body = Problem)))]
async fn archive_pattern(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<KeptPattern>>, Problem> {
    edit(&state, Shelf::Patterns, id, wish.revision, Edit::Archive(wish.archived)).await
}

/// A pattern as it stood at each revision, newest first.
#[utoipa::path(get, path = "/api/patterns/{id}/revisions", params(("id" = i64, Path)),
    responses((status = 200, body = [Revision<KeptPattern>]), (status = 404, body = Problem)))]
async fn pattern_revisions(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<Vec<Revision<KeptPattern>>>, Problem> {
    read(&state, move |connection| Shelf::Patterns.revisions(connection, id)).await.map(Json)
}

/// All kept patterns as one JSON document, in the published schema.
#[utoipa::path(get, path = "/api/patterns/all.json", responses((status = 200, body = PlanDocument)))]
async fn all_patterns_json(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let all: Vec<Entry<KeptPattern>> = read(&state, |connection| Shelf::Patterns.all(connection)).await?;
    let document = PlanDocument::of(vec![], all.into_iter().map(|entry| entry.record).collect());
    let bytes = super::made(move || Ok(serde_json::to_vec_pretty(&document)?)).await?;
    Ok(super::file("application/json", "lorimant-patterns.json", bytes))
}
