//! Lorimant's server: routes, the store, exports and the embedded front end.
//!
//! No rule or formula of the trade lives here; those are in `lorimant_core`.

mod assets;
mod decode;
mod demo;
mod device;
mod document;
mod export;
mod extract;
mod guard;
mod heavy;
mod hosts;
mod instrument;
mod jobs;
mod kept;
mod log;
mod paper;
mod problem;
mod progress;
mod routes;
mod serve;
mod session;
mod state;
mod store;
mod weaver;

use std::net::SocketAddr;
use std::time::Duration;

use axum::Router;
use axum::body::Bytes;
use axum::extract::DefaultBodyLimit;
use axum::http::header;
use axum::middleware;
use axum::routing::get;
use tower_http::CompressionLevel;
use tower_http::compression::CompressionLayer;
use tower_http::compression::predicate::{DefaultPredicate, Predicate as _, SizeAbove};
use tower_http::timeout::RequestBodyTimeoutLayer;
use tower_http::trace::TraceLayer;

pub use demo::load as load_demo;
pub use instrument::{Caliper, Instruments, Printer, Scale, Winder};
pub use log::start_log;
pub use serve::serve;
pub use session::hash_passphrase;
pub use store::copies;
pub use store::{Held, Soundness, Store, StoreError};

/// Largest request body taken, bytes.
const LARGEST_BODY: usize = 2 * 1024 * 1024;
/// Longest wait for the next piece of a request's body.
const SLOWEST_BODY: Duration = Duration::from_secs(20);

/// The whole application on one open store, for the address it will be reached at, with its instruments.
///
/// # Errors
/// When the store cannot be read.
pub fn app(
    store: Store,
    address: SocketAddr,
    host_names: &[String],
    instruments: Instruments,
) -> Result<Router, StoreError> {
    let sessions = session::Sessions::of(store.clone())?;
    let hosts = hosts::Hosts::new(address, host_names);
    let heavy = heavy::Heavy::default();
    weaver::start(&store, &heavy)?;
    let state = state::State {
        store,
        sessions,
        hosts,
        instruments,
        cutting: jobs::Jobs::of(heavy.clone()),
        relaxing: jobs::Jobs::of(heavy.clone()),
        heavy,
        under_way: progress::UnderWay::default(),
    };
    // A small answer arrives sooner as it is than pressed and unpressed.
    let compression = CompressionLayer::new().quality(CompressionLevel::Fastest);
    let compression = compression.compress_when(DefaultPredicate::new().and(SizeAbove::new(u16::MAX)));
    let (router, description) = routes::described();
    // Written once: every connection has the routes to itself, and with them what they hold.
    let description = Bytes::from(description.to_json().unwrap_or_default());
    let as_json = [(header::CONTENT_TYPE, "application/json")];
    Ok(router
        .route("/api/openapi.json", get(move || async move { (as_json, description) }))
        .fallback(assets::serve)
        .method_not_allowed_fallback(|| async { problem::Problem::wrong_method() })
        .layer(middleware::from_fn_with_state(state.clone(), guard::check))
        .layer(middleware::from_fn(guard::headers))
        .layer(DefaultBodyLimit::max(LARGEST_BODY))
        .layer(RequestBodyTimeoutLayer::new(SLOWEST_BODY))
        .layer(compression)
        .layer(TraceLayer::new_for_http())
        .with_state(state))
}

/// The API's description, as served at `/api/openapi.json`.
#[must_use]
pub fn openapi() -> String {
    let (_, description) = routes::described();
    description.to_pretty_json().unwrap_or_default()
}

/// The published JSON schema of a plan document.
#[must_use]
pub fn plan_schema() -> String {
    document::schema()
}

/// The published JSON schema of one line of a whole workshop.
#[must_use]
pub fn line_schema() -> String {
    document::line_schema()
}

/// The published JSON schema of a rack.
#[must_use]
pub fn rack_schema() -> String {
    document::rack_schema()
}
