//! What a request brings, read or refused with a sentence: body, path, query.

use axum::body::Bytes;
use axum::extract::{self, FromRequest, FromRequestParts, Request};
use axum::http::StatusCode;
use axum::http::request::Parts;
use lorimant_core::fault::Fault;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::quoted;
use serde::de::DeserializeOwned;
use serde_json::Value;

use crate::decode;
use crate::problem::Problem;
use crate::state::State;
use lorimant_text::text;

/// A JSON body, refused with a sentence at the field where it cannot be understood. Wherever it names a lot of wire, what
/// the workshop has learned of that lot by now stands in it: no handler can forget to ask.
pub(crate) struct Body<T>(pub T);

impl<T: DeserializeOwned> FromRequest<State> for Body<T> {
    type Rejection = Problem;

    async fn from_request(request: Request, state: &State) -> Result<Self, Problem> {
        let bytes = whole(request, state).await?;
        let lots = state.store.workshop();
        match with_known_lots(&bytes, &lots) {
            Some(bytes) => understand(&bytes),
            None => understand(&bytes),
        }
        .map(Self)
    }
}

/// A body with what is known of the lots it names; none where it names none, or cannot be read, which is said later.
fn with_known_lots(bytes: &[u8], workshop: &Workshop) -> Option<Vec<u8>> {
    const NAME: &[u8] = b"\"lot_n\"";
    if !bytes.windows(NAME.len()).any(|there| there == NAME) {
        return None;
    }
    let mut body: Value = serde_json::from_slice(bytes).ok()?;
    fill_in(&mut body, workshop);
    serde_json::to_vec(&body).ok()
}

/// Fills in the lots of all wires under a value.
fn fill_in(value: &mut Value, workshop: &Workshop) {
    match value {
        Value::Array(values) => values.iter_mut().for_each(|value| fill_in(value, workshop)),
        Value::Object(fields) => {
            let lot = fields.get("lot").and_then(|lot| lot.get("lot_n")).and_then(Value::as_i64);
            if let Some(known) = lot.and_then(|lot_n| serde_json::to_value(workshop.lot(lot_n)).ok()) {
                fields.insert("lot".to_owned(), known);
            }
            fields.values_mut().for_each(|value| fill_in(value, workshop));
        }
        _ => {}
    }
}

/// A body as it stands, for what takes long to read: that is done off the threads that answer.
pub(crate) struct Whole(pub Bytes);

impl<S: Send + Sync> FromRequest<S> for Whole {
    type Rejection = Problem;

    async fn from_request(request: Request, state: &S) -> Result<Self, Problem> {
        whole(request, state).await.map(Self)
    }
}

/// A text as it stands: a file that is brought in.
pub(crate) struct Text(pub String);

impl<S: Send + Sync> FromRequest<S> for Text {
    type Rejection = Problem;

    async fn from_request(request: Request, state: &S) -> Result<Self, Problem> {
        let bytes = whole(request, state).await?;
        String::from_utf8(bytes.into()).map(Self).map_err(|error| {
            let at = error.utf8_error().valid_up_to();
            Problem::unreadable(text!("api-extract-file-not-utf-8-text", at = at + 1))
        })
    }
}

async fn whole<S: Send + Sync>(request: Request, state: &S) -> Result<Bytes, Problem> {
    Bytes::from_request(request, state).await.map_err(|rejection| {
        if rejection.status() == StatusCode::PAYLOAD_TOO_LARGE {
            return Problem::too_large();
        }
        Problem::unreadable(text!("api-extract-request-ended-too-early"))
    })
}

/// The numbers and names in a path; where one cannot be read, nothing is there.
pub(crate) struct Path<T>(pub T);

impl<S: Send + Sync, T: DeserializeOwned + Send> FromRequestParts<S> for Path<T> {
    type Rejection = Problem;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, Problem> {
        let read = extract::Path::<T>::from_request_parts(parts, state).await;
        read.map(|extract::Path(named)| Self(named)).map_err(|_| {
            Problem::missing(text!("api-extract-there-nothing-at-its-number", uri = quoted(parts.uri.path())))
        })
    }
}

/// What is asked behind a path, refused at the field that cannot be understood.
pub(crate) struct Query<T>(pub T);

impl<S: Send + Sync, T: DeserializeOwned> FromRequestParts<S> for Query<T> {
    type Rejection = Problem;

    async fn from_request_parts(parts: &mut Parts, _: &S) -> Result<Self, Problem> {
        let asked = form_urlencoded::parse(parts.uri.query().unwrap_or_default().as_bytes());
        let pairs: Vec<(String, String)> = asked.into_owned().collect();
        Ok(Self(decode::pairs(&pairs)?))
    }
}

/// Reads JSON, with a sentence at the field where it cannot be understood.
pub(crate) fn understand<T: DeserializeOwned>(bytes: &[u8]) -> Result<T, Problem> {
    // Records go by the names of their fields, never by their order.
    if bytes.trim_ascii_start().first() == Some(&b'[') {
        return Err(Fault::new("", text!("api-extract-this-list-must-be-object")).into());
    }
    let refused = match serde_json::from_slice(bytes) {
        Ok(read) => return Ok(read),
        Err(refused) => refused,
    };
    let value: Value = serde_json::from_slice(bytes).map_err(|error| {
        let (line, column) = (error.line(), error.column());
        Problem::unreadable(text!("api-extract-not-json", line, column))
    })?;
    decode::json::<T>(&value)?;
    // It fits once each name counts once.
    let (line, column) = (refused.line(), refused.column());
    Err(Fault::new("", text!("api-extract-field-twice", line, column)).into())
}
