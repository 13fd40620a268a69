//! What stands before every request: whose it is, and what the browser may do with the answer.

use std::net::SocketAddr;

use axum::extract::{Request, State as Shared};
use axum::http::{HeaderMap, HeaderName, HeaderValue, header};
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};

use crate::device;
use crate::hosts::Hosts;
use crate::problem::Problem;
use crate::progress;
use crate::state::State;
use lorimant_text::text;

/// Refuses requests addressed to another host (a page elsewhere that rebinds its name to this
/// machine) or sent by a page of another origin; then asks for the passphrase where one is set.
pub(crate) async fn check(Shared(state): Shared<State>, request: Request, next: Next) -> Response {
    if let Err(problem) = is_ours(request.headers(), &state.hosts) {
        return problem.into_response();
    }
    let path = request.uri().path();
    let open = !path.starts_with("/api/") || path == "/api/session" || path == "/api/health";
    if !open && state.sessions.wanted() && !state.sessions.knows(request.headers()) {
        return Problem::locked(text!("api-guard-this-workshop-locked-enter-its")).into_response();
    }
    let from = request.extensions().get::<SocketAddr>().copied();
    let device = device::named(request.headers(), from);
    let headers = request.headers().clone();
    progress::answering(&headers, device::answering(device, next.run(request))).await
}

fn is_ours(headers: &HeaderMap, hosts: &Hosts) -> Result<(), Problem> {
    let text = |name: HeaderName| headers.get(name).map(|value| value.to_str().unwrap_or("?"));
    let host = text(header::HOST).unwrap_or_default();
    if !hosts.allows(host) {
        return Err(Problem::refused(text!("api-guard-this-server-does-not-answer")));
    }
    if let Some(origin) = text(header::ORIGIN) {
        let from = origin.strip_prefix("http://").or_else(|| origin.strip_prefix("https://"));
        if !from.is_some_and(|from| from.eq_ignore_ascii_case(host)) {
            return Err(Problem::refused(text!("api-guard-requests-from-pages-another-site")));
        }
    }
    Ok(())
}

/// Sets the headers every answer carries.
pub(crate) async fn headers(request: Request, next: Next) -> Response {
    let api = request.uri().path().starts_with("/api/");
    let mut response = next.run(request).await;
    let set = response.headers_mut();
    let mut put = |name: HeaderName, value: &'static str| {
        set.entry(name).or_insert(HeaderValue::from_static(value));
    };
    put(header::X_CONTENT_TYPE_OPTIONS, "nosniff");
    put(header::X_FRAME_OPTIONS, "DENY");
    put(header::REFERRER_POLICY, "no-referrer");
    put(HeaderName::from_static("cross-origin-opener-policy"), "same-origin");
    put(HeaderName::from_static("cross-origin-resource-policy"), "same-origin");
    put(header::CONTENT_SECURITY_POLICY, "default-src 'none'; frame-ancestors 'none'");
    if api {
        put(header::CACHE_CONTROL, "no-store");
    }
    response
}
