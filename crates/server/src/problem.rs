//! Errors as RFC 9457 problem documents, with the field each fault is at.

use std::time::Duration;

use axum::Json;
use axum::http::{HeaderValue, StatusCode, header};
use axum::response::{IntoResponse, Response};
use lorimant_core::fault::{Fault, Faults};
use lorimant_core::words::quoted;
use rusqlite::ErrorCode;
use serde::Serialize;
use utoipa::ToSchema;

use crate::heavy::BUSY;
use crate::store::StoreError;
use lorimant_text::text;

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
        Self::new(
            StatusCode::UNAUTHORIZED,
            "/problems/locked",
            text!("api-problem-passphrase-required"),
            detail,
        )
    }

    /// The passphrase was typed wrong too often: so long nothing is listened to.
    pub fn too_soon(left: Duration) -> Self {
        let seconds = left.as_secs() + 1;
        let message = text!(
            "api-problem-passphrase-was-wrong-several-times",
            seconds = text!("count-second", n = seconds)
        );
        Self::new(
            StatusCode::TOO_MANY_REQUESTS,
            "/problems/too-soon",
            text!("api-problem-too-many-attempts"),
            message,
        )
    }

    pub fn missing(detail: impl Into<String>) -> Self {
        Self::new(StatusCode::NOT_FOUND, "/problems/missing", text!("api-problem-not-found"), detail)
    }

    /// A file of a name that is not made; `made` says which are.
    pub fn no_such_file(what: &str, name: &str, made: &str) -> Self {
        Self::missing(text!("api-problem-not-available-as-available", what, name = quoted(name), made))
    }

    pub fn unreadable(detail: impl Into<String>) -> Self {
        Self::new(
            StatusCode::BAD_REQUEST,
            "/problems/unreadable",
            text!("api-problem-invalid-request"),
            detail,
        )
    }

    /// There is something here, but not to be asked so.
    pub fn wrong_method() -> Self {
        let message = text!("api-problem-this-address-does-not-accept");
        Self::new(
            StatusCode::METHOD_NOT_ALLOWED,
            "/problems/wrong-method",
            text!("api-problem-method-not-allowed"),
            message,
        )
    }

    pub fn too_large() -> Self {
        let message = text!("api-problem-request-too-large-for-this");
        Self::new(
            StatusCode::PAYLOAD_TOO_LARGE,
            "/problems/too-large",
            text!("api-problem-too-large"),
            message,
        )
    }

    /// An instrument does not answer; `instead` says what can be done without it.
    pub fn no_device(what: &str, error: &std::io::Error, instead: &str) -> Self {
        let message = text!("api-problem-does-not-answer-check-that", what, error, instead);
        Self::new(
            StatusCode::SERVICE_UNAVAILABLE,
            "/problems/no-device",
            text!("api-problem-no-answer"),
            message,
        )
    }

    /// The same, seen from a larger record: its faults stand within it.
    pub fn within(mut self, outer: &str) -> Self {
        self.errors = self.errors.into_iter().map(|fault| fault.within(outer)).collect();
        self
    }

    /// The file cannot be written as things are; the sentence says how it can.
    fn no_file(detail: impl Into<String>) -> Self {
        Self::new(
            StatusCode::SERVICE_UNAVAILABLE,
            "/problems/no-file",
            text!("api-problem-not-saved"),
            detail,
        )
    }

    fn unwritten() -> Self {
        Self::internal(text!("api-problem-workshops-file-could-not-be"))
    }

    /// Too much long work is waiting.
    pub fn busy() -> Self {
        Self::new(StatusCode::SERVICE_UNAVAILABLE, "/problems/busy", "Busy", BUSY)
    }

    pub fn internal(detail: impl Into<String>) -> Self {
        Self::new(
            StatusCode::INTERNAL_SERVER_ERROR,
            "/problems/internal",
            text!("api-problem-internal-error"),
            detail,
        )
    }
}

impl From<Faults> for Problem {
    fn from(faults: Faults) -> Self {
        let status = StatusCode::UNPROCESSABLE_ENTITY;
        let mut problem = Self::new(
            status,
            "/problems/cannot-be-made",
            text!("api-problem-invalid-input"),
            faults.to_string(),
        );
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
            StoreError::NotUndoable(_) => Self::new(
                StatusCode::CONFLICT,
                "/problems/conflict",
                text!("api-problem-cannot-undo"),
                sentence,
            ),
            StoreError::Conflict { current } => {
                let mut problem = Self::new(
                    StatusCode::CONFLICT,
                    "/problems/conflict",
                    text!("api-problem-changed-elsewhere"),
                    sentence,
                );
                problem.current = Some(current);
                problem
            }
            StoreError::Gone(_)
            | StoreError::Replaced(_)
            | StoreError::Overwritten(_)
            | StoreError::ReadOnly(_) => Self::no_file(sentence),
            StoreError::Unsound(_) | StoreError::Stranger | StoreError::Newer => {
                let status = StatusCode::UNPROCESSABLE_ENTITY;
                Self::new(
                    status,
                    "/problems/cannot-be-restored",
                    text!("api-problem-cannot-restore"),
                    sentence,
                )
            }
            StoreError::Sqlite(ref broken) => {
                tracing::error!(%error, "store");
                match broken.sqlite_error_code() {
                    Some(ErrorCode::DiskFull) => {
                        Self::no_file(text!("api-problem-nothing-was-changed-disk-with"))
                    }
                    Some(ErrorCode::ReadOnly | ErrorCode::PermissionDenied) => {
                        Self::no_file(text!("api-problem-nothing-was-changed-workshops-file"))
                    }
                    Some(ErrorCode::DatabaseBusy | ErrorCode::DatabaseLocked) => {
                        Self::no_file(text!("api-problem-nothing-was-changed-another-program"))
                    }
                    Some(ErrorCode::SystemIoFailure) => {
                        Self::no_file(text!("api-problem-nothing-was-changed-workshops-file-could"))
                    }
                    _ => Self::unwritten(),
                }
            }
            error => {
                tracing::error!(%error, "store");
                Self::unwritten()
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
