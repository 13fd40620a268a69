//! Kept chains and a maker's own weaves: finding, keeping, revising, putting away, and their earlier revisions.

use axum::Json;
use axum::extract::State as Shared;
use lorimant_core::chain::weave::Weave;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::shelf_routes;
use super::read;
use crate::extract::Path;
use crate::kept::KeptChain;
use crate::problem::Problem;
use crate::state::State;
use crate::store::shelf::{Entry, Revision, Shelf};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_chains, keep_chain))
        .routes(routes!(get_chain, change_chain))
        .routes(routes!(archive_chain))
        .routes(routes!(chain_revisions))
        .routes(routes!(list_weaves, keep_weave))
        .routes(routes!(change_weave))
        .routes(routes!(archive_weave))
        .routes(routes!(weave_revisions))
}

shelf_routes! {
    Chains of KeptChain;
    /// Lists kept chains, last changed first.
    list_chains at "/api/chains";
    /// Keeps a chain.
    keep_chain;
    /// Changes a kept chain; what it was stays as a revision.
    change_chain at "/api/chains/{id}";
    /// Puts a chain away, or takes it out again.
    archive_chain at "/api/chains/{id}/archive";
}

shelf_routes! {
    Weaves of Weave;
    /// Lists a maker's own weaves, last changed first.
    list_weaves at "/api/weaves/own";
    /// Keeps a weave of one's own.
    keep_weave;
    /// Changes a weave of one's own; what it was stays as a revision.
    change_weave at "/api/weaves/own/{id}";
    /// Puts a weave of one's own away, or takes it out again.
    archive_weave at "/api/weaves/own/{id}/archive";
}

/// One kept chain.
#[utoipa::path(get, path = "/api/chains/{id}", params(("id" = i64, Path)),
    responses((status = 200, body = Entry<KeptChain>), (status = 404, body = Problem)))]
async fn get_chain(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<Entry<KeptChain>>, Problem> {
    read(&state, move |connection| Shelf::Chains.get(connection, id)).await.map(Json)
}

/// A chain as it stood at each revision, newest first.
#[utoipa::path(get, path = "/api/chains/{id}/revisions", params(("id" = i64, Path)),
    responses((status = 200, body = [Revision<KeptChain>]), (status = 404, body = Problem)))]
async fn chain_revisions(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<Vec<Revision<KeptChain>>>, Problem> {
    read(&state, move |connection| Shelf::Chains.revisions(connection, id)).await.map(Json)
}

/// A weave of one's own as it stood at each revision, newest first.
#[utoipa::path(get, path = "/api/weaves/own/{id}/revisions", params(("id" = i64, Path)),
    responses((status = 200, body = [Revision<Weave>]), (status = 404, body = Problem)))]
async fn weave_revisions(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<Vec<Revision<Weave>>>, Problem> {
    read(&state, move |connection| Shelf::Weaves.revisions(connection, id)).await.map(Json)
}
