//! Unlocking the workshop where a passphrase is set.

use std::net::SocketAddr;

use axum::Json;
use axum::extract::{Extension, State as Shared};
use axum::http::{HeaderMap, StatusCode, header};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::extract::Body;
use crate::problem::Problem;
use crate::session::{Unopened, cookie};
use crate::state::State;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(state_of, unlock, lock))
}

/// Whether a passphrase is wanted.
#[derive(Serialize, ToSchema)]
struct SessionState {
    /// Whether the workshop is locked for this browser.
    locked: bool,
    /// Whether a passphrase is set at all.
    passphrase: bool,
}

/// Whether this browser has unlocked the workshop.
#[utoipa::path(get, path = "/api/session", responses((status = 200, body = SessionState)))]
async fn state_of(Shared(state): Shared<State>, headers: HeaderMap) -> Json<SessionState> {
    let passphrase = state.sessions.wanted();
    Json(SessionState { locked: passphrase && !state.sessions.knows(&headers), passphrase })
}

/// The passphrase.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Passphrase {
    /// As it was set.
    passphrase: String,
}

/// Unlocks the workshop for this browser.
#[utoipa::path(post, path = "/api/session", request_body = Passphrase,
    responses((status = 204, description = "Unlocked"), (status = 401, body = Problem), (status = 429, body = Problem)))]
async fn unlock(
    Shared(state): Shared<State>,
    from: Option<Extension<SocketAddr>>,
    headers: HeaderMap,
    Body(sent): Body<Passphrase>,
) -> Result<(StatusCode, [(header::HeaderName, String); 1]), Problem> {
    let from = from.map(|Extension(address)| address.ip());
    let token = state.sessions.unlock(sent.passphrase, from).await.map_err(|why| match why {
        Unopened::Wrong => Problem::locked("This is not the passphrase. Check capitals and spaces."),
        Unopened::Wait(left) => Problem::too_soon(left),
    })?;
    Ok((StatusCode::NO_CONTENT, [(header::SET_COOKIE, cookie(Some(&token), &headers))]))
}

/// Locks the workshop for this browser.
#[utoipa::path(delete, path = "/api/session", responses((status = 204, description = "Locked")))]
async fn lock(
    Shared(state): Shared<State>,
    headers: HeaderMap,
) -> (StatusCode, [(header::HeaderName, String); 1]) {
    state.sessions.lock(&headers);
    (StatusCode::NO_CONTENT, [(header::SET_COOKIE, cookie(None, &headers))])
}
