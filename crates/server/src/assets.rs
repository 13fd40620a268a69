//! The front end, carried inside the program.

use axum::extract::Request;
use axum::http::{StatusCode, header};
use axum::response::{IntoResponse, Response};
use lorimant_core::words::quoted;
use lorimant_text::{Language, text};
use rand::RngCore;
use rust_embed::RustEmbed;

use crate::problem::Problem;

#[derive(RustEmbed)]
#[folder = "../../web/dist"]
struct Assets;

/// Placeholder in the page for the nonce of its style sheets.
const NONCE: &str = "__NONCE__";

/// Serves a file of the front end; any other path is a view of it.
pub(crate) async fn serve(request: Request) -> Response {
    let path = request.uri().path();
    if path.starts_with("/api/") {
        return Problem::missing(text!("api-assets-nothing-at", path = quoted(path))).into_response();
    }
    match Assets::get(path.trim_start_matches('/')) {
        Some(file) if path != "/index.html" => {
            let kind = file.metadata.mimetype().to_owned();
            // Names of built files carry their content's hash, so they never change.
            let age =
                if path.starts_with("/assets/") { "public, max-age=31536000, immutable" } else { "no-cache" };
            ([(header::CONTENT_TYPE, kind), (header::CACHE_CONTROL, age.to_owned())], file.data)
                .into_response()
        }
        _ if path.contains('.') && path != "/index.html" => {
            Problem::missing(text!("api-assets-nothing-at", path = quoted(path))).into_response()
        }
        _ => page(),
    }
}

/// The page, with a fresh nonce so that only its own style sheets count.
fn page() -> Response {
    let Some(file) = Assets::get("index.html") else {
        return (StatusCode::SERVICE_UNAVAILABLE, text!("api-assets-not-built")).into_response();
    };
    let mut bytes = [0u8; 16];
    rand::rng().fill_bytes(&mut bytes);
    let nonce: String = bytes.iter().map(|byte| format!("{byte:02x}")).collect();
    let mut page = String::from_utf8_lossy(&file.data).replace(NONCE, &nonce);
    if lorimant_text::spoken() == Language::Pseudo {
        page = page.replace("lang=\"en\"", "lang=\"en-x-pseudo\"");
    }
    let policy = format!(
        "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-{nonce}'; font-src 'self'; img-src 'self' \
         data: blob:; connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors \
         'none'"
    );
    let headers = [
        (header::CONTENT_TYPE, "text/html; charset=utf-8".to_owned()),
        (header::CONTENT_SECURITY_POLICY, policy),
        (header::CACHE_CONTROL, "no-store".to_owned()),
    ];
    (headers, page).into_response()
}
