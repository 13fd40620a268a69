//! Errors as RFC 9457 problem documents, with the field each fault is at.

use axum::Json;
use axum::extract::{FromRequest, Request};
use axum::http::{HeaderValue, StatusCode, header};
use axum::response::{IntoResponse, Response};
use lorimant_core::fault::{Fault, Faults};
use serde::Serialize;
use serde::de::DeserializeOwned;
use utoipa::ToSchema;

use crate::store::StoreError;

/// What went wrong, as `application/problem+json`.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub(crate) struct Problem {
    /// Kind of problem, a path under this server's documentation.
    #[serde(rename = "type")]
    pub kind: &'static str,
    /// The kind in a few words.
    pub title: &'static str,
    /// HTTP status.
    pub status: u16,
    /// What went wrong, in a sentence.
    pub detail: String,
    /// Each thing wrong with the input, at its field.
    pub errors: Vec<Fault>,
    /// On a conflict: what stands there now. Yours is what you sent.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub current: Option<serde_json::Value>,
}

impl Problem {
    fn new(status: StatusCode, kind: &'static str, title: &'static str, detail: impl Into<String>) -> Self {
        Self { kind, title, status: status.as_u16(), detail: detail.into(), errors: vec![], current: None }
    }

    pub fn refused(detail: impl Into<String>) -> Self {
        Self::new(StatusCode::FORBIDDEN, "/problems/refused", "Refused", detail)
    }

    pub fn locked(detail: impl Into<String>) -> Self {
        Self::new(StatusCode::UNAUTHORIZED, "/problems/locked", "Passphrase wanted", detail)
    }

    pub fn missing(detail: impl Into<String>) -> Self {
        Self::new(StatusCode::NOT_FOUND, "/problems/missing", "Not there", detail)
    }

    pub fn unreadable(detail: impl Into<String>) -> Self {
        Self::new(StatusCode::BAD_REQUEST, "/problems/unreadable", "Not readable", detail)
    }

    pub fn no_device(error: std::io::Error) -> Self {
        let said = format!(
            "The scale gives no reading: {error}. Check that it is on and connected, or type the weight."
        );
        Self::new(StatusCode::SERVICE_UNAVAILABLE, "/problems/no-device", "No reading", said)
    }

    pub fn internal(detail: impl Into<String>) -> Self {
        Self::new(StatusCode::INTERNAL_SERVER_ERROR, "/problems/internal", "Something broke here", detail)
    }
}

impl From<Faults> for Problem {
    fn from(faults: Faults) -> Self {
        let status = StatusCode::UNPROCESSABLE_ENTITY;
        let mut problem =
            Self::new(status, "/problems/cannot-be-made", "Cannot be made like this", faults.to_string());
        problem.errors = faults.0;
        problem
    }
}

impl From<Fault> for Problem {
    fn from(fault: Fault) -> Self {
        Faults::from(fault).into()
    }
}

impl From<StoreError> for Problem {
    fn from(error: StoreError) -> Self {
        let sentence = {
            let text = error.to_string();
            let mut letters = text.chars();
            letters
                .next()
                .map_or(String::new(), |first| format!("{}{}.", first.to_uppercase(), letters.as_str()))
        };
        match error {
            StoreError::Missing { .. } => Self::missing(sentence),
            StoreError::Refused(faults) => faults.into(),
            StoreError::NotUndoable => {
                Self::new(StatusCode::CONFLICT, "/problems/conflict", "Changed elsewhere", sentence)
            }
            StoreError::Conflict { current } => {
                let mut problem =
                    Self::new(StatusCode::CONFLICT, "/problems/conflict", "Changed elsewhere", sentence);
                problem.current = Some(current);
                problem
            }
            error => {
                tracing::error!(%error, "store");
                Self::internal("The workshop's file could not be read or written. Nothing was changed.")
            }
        }
    }
}

impl IntoResponse for Problem {
    fn into_response(self) -> Response {
        let status = StatusCode::from_u16(self.status).unwrap_or(StatusCode::INTERNAL_SERVER_ERROR);
        let mut response = (status, Json(self)).into_response();
        let kind = HeaderValue::from_static("application/problem+json");
        response.headers_mut().insert(header::CONTENT_TYPE, kind);
        response
    }
}

/// A JSON body, refused with a sentence at the field where it cannot be understood.
pub(crate) struct Body<T>(pub T);

impl<S: Send + Sync, T: DeserializeOwned> FromRequest<S> for Body<T> {
    type Rejection = Problem;

    async fn from_request(request: Request, state: &S) -> Result<Self, Problem> {
        let bytes = axum::body::Bytes::from_request(request, state).await.map_err(|rejection| {
            if rejection.status() == StatusCode::PAYLOAD_TOO_LARGE {
                let title = "Too large";
                let said = "The request is larger than this server takes.";
                return Problem::new(StatusCode::PAYLOAD_TOO_LARGE, "/problems/too-large", title, said);
            }
            Problem::unreadable("The request broke off before its end.")
        })?;
        understand(&bytes).map(Self)
    }
}

/// Reads JSON, with a sentence at the field where it cannot be understood.
pub(crate) fn understand<T: DeserializeOwned>(bytes: &[u8]) -> Result<T, Problem> {
    let mut from = serde_json::Deserializer::from_slice(bytes);
    let read = serde_path_to_error::deserialize(&mut from);
    let value = read.map_err(|error| {
        let path = error.path().to_string();
        unreadable(&path, &error.into_inner())
    })?;
    from.end().map_err(|error| unreadable(".", &error))?;
    Ok(value)
}

fn unreadable(path: &str, error: &serde_json::Error) -> Problem {
    use serde_json::error::Category;
    let path = if path == "." { "" } else { path };
    let said = error.to_string();
    let said = said.split(" at line ").next().unwrap_or_default();
    match error.classify() {
        Category::Data => Faults::from(fault_of(path, said)).into(),
        Category::Syntax if said == "number out of range" => {
            Faults::from(Fault::new(path, "This number is too large to be read.")).into()
        }
        _ => Problem::unreadable(format!(
            "The request is not JSON: {said} in line {}, column {}.",
            error.line(),
            error.column()
        )),
    }
}

/// Serde's own words for a misfit, as a sentence for a person.
fn fault_of(path: &str, said: &str) -> Fault {
    let quoted = |text: &str| text.split('`').nth(1).unwrap_or_default().to_owned();
    let inside = |name: &str| if path.is_empty() { name.to_owned() } else { format!("{path}.{name}") };
    if said.starts_with("unknown field") {
        let name = quoted(said);
        let known: Vec<&str> = said.split('`').skip(3).step_by(2).collect();
        // The path ends at the unknown field itself where the reader had already stepped into it.
        let at = if path.ends_with(&name) { path.to_owned() } else { inside(&name) };
        return Fault::new(at, format!("“{name}” is not a field here. Known: {}.", known.join(", ")));
    }
    if said.starts_with("missing field") {
        let name = quoted(said);
        return Fault::new(inside(&name), format!("“{name}” is missing."));
    }
    if let Some(rest) = said.strip_prefix("invalid type: ").or_else(|| said.strip_prefix("invalid value: ")) {
        let (got, wanted) = rest.split_once(", expected ").unwrap_or((rest, "something else"));
        let wanted = match wanted {
            "f64" => "a number",
            "u32" => "a whole number from 0 to 4294967295",
            "a string" => "text",
            other if other.starts_with("struct ") => "an object with named fields",
            other => other,
        };
        return Fault::new(path, format!("This is {got}; it must be {wanted}."));
    }
    let full_stop = if said.ends_with('.') { "" } else { "." };
    Fault::new(path, format!("{said}{full_stop}"))
}
