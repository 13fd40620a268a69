//! Unlocking the workshop where a passphrase is set.

use std::net::SocketAddr;

use axum::Json;
use axum::extract::{Extension, State as Shared};
use axum::http::{HeaderMap, StatusCode, header};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::device;
use crate::extract::{Body, Path};
use crate::problem::Problem;
use crate::session::{Unopened, cookie};
use crate::state::State;
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(state_of, unlock, lock))
        .routes(routes!(devices))
        .routes(routes!(sign_out))
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
    let device = device::of_request();
    let token = state.sessions.unlock(sent.passphrase, from, device).await.map_err(|why| match why {
        Unopened::Wrong => Problem::locked(text!("api-session-this-not-passphrase-check-capitals")),
        Unopened::Wait(left) => Problem::too_soon(left),
    })?;
    Ok((StatusCode::NO_CONTENT, [(header::SET_COOKIE, cookie(Some(&token), &headers))]))
}

/// A device that has unlocked the workshop with its passphrase.
#[derive(Serialize, ToSchema)]
struct SignedIn {
    /// What tells it from the others.
    id: String,
    /// What it is called: `Firefox on Linux`; empty where it signed in before devices had names.
    name: String,
    /// When it signed in, UTC; left out where it is not known.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[schema(value_type = Option<String>)]
    opened_at: Option<Timestamp>,
    /// When it was last used, UTC.
    #[schema(value_type = String)]
    last_used_at: Timestamp,
    /// Whether it is the one that asks.
    current: bool,
}

/// The devices that have unlocked the workshop: this one first, then the last used.
#[utoipa::path(get, path = "/api/devices", responses((status = 200, body = Vec<SignedIn>)))]
async fn devices(Shared(state): Shared<State>, headers: HeaderMap) -> Json<Vec<SignedIn>> {
    let moment = |at: i64| Timestamp::from_second(at).unwrap_or(Timestamp::UNIX_EPOCH);
    let devices = state.sessions.devices(&headers).into_iter().map(|one| SignedIn {
        id: one.id,
        name: one.name,
        opened_at: (one.opened_at > 0).then(|| moment(one.opened_at)),
        last_used_at: moment(one.last_used_at),
        current: one.current,
    });
    Json(devices.collect())
}

/// Signs a device out: it is asked for the passphrase again.
#[utoipa::path(delete, path = "/api/devices/{id}", params(("id" = String, Path)),
    responses((status = 204, description = "Signed out"), (status = 404, body = Problem)))]
async fn sign_out(Shared(state): Shared<State>, Path(id): Path<String>) -> Result<StatusCode, Problem> {
    if state.sessions.sign_out(&id).await {
        return Ok(StatusCode::NO_CONTENT);
    }
    Err(Problem::missing(text!("api-session-this-device-no-longer-signed")))
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
