//! What a request brings, read or refused with a sentence: body, path, query.

use axum::body::Bytes;
use axum::extract::{self, FromRequest, FromRequestParts, Request};
use axum::http::StatusCode;
use axum::http::request::Parts;
use lorimant_core::fault::{Fault, Faults};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::quoted;
use serde::de::DeserializeOwned;
use serde_json::Value;

use crate::problem::Problem;
use crate::state::State;

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
            Problem::unreadable(format!("The file is not UTF-8 text: byte {} is wrong.", at + 1))
        })
    }
}

async fn whole<S: Send + Sync>(request: Request, state: &S) -> Result<Bytes, Problem> {
    Bytes::from_request(request, state).await.map_err(|rejection| {
        if rejection.status() == StatusCode::PAYLOAD_TOO_LARGE {
            return Problem::too_large();
        }
        Problem::unreadable("The request ended too early.")
    })
}

/// The numbers and names in a path; where one cannot be read, nothing is there.
pub(crate) struct Path<T>(pub T);

impl<S: Send + Sync, T: DeserializeOwned + Send> FromRequestParts<S> for Path<T> {
    type Rejection = Problem;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, Problem> {
        let read = extract::Path::<T>::from_request_parts(parts, state).await;
        read.map(|extract::Path(named)| Self(named)).map_err(|_| {
            Problem::missing(format!(
                "There is nothing at {}: its number cannot be read.",
                quoted(parts.uri.path())
            ))
        })
    }
}

/// What is asked behind a path, refused at the field that cannot be understood.
pub(crate) struct Query<T>(pub T);

impl<S: Send + Sync, T: DeserializeOwned> FromRequestParts<S> for Query<T> {
    type Rejection = Problem;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, Problem> {
        let read = extract::Query::<T>::from_request_parts(parts, state).await;
        read.map(|extract::Query(asked)| Self(asked)).map_err(|rejection| {
            let said = rejection.body_text();
            let said = said.split_once(": ").map_or(said.as_str(), |(_, said)| said);
            let (field, said) = said.split_once(": ").unwrap_or(("", said));
            fault_of(field, said).into()
        })
    }
}

/// Reads JSON, with a sentence at the field where it cannot be understood.
pub(crate) fn understand<T: DeserializeOwned>(bytes: &[u8]) -> Result<T, Problem> {
    // Records go by the names of their fields, never by their order.
    if bytes.trim_ascii_start().first() == Some(&b'[') {
        return Err(Fault::new("", "This is a list; it must be an object with named fields.").into());
    }
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
            Faults::from(Fault::new(path, "This number is too large.")).into()
        }
        _ => Problem::unreadable(format!(
            "The request is not JSON: {said} in line {}, column {}.",
            error.line(),
            error.column()
        )),
    }
}

/// Serde's own words for a misfit, as a sentence for a person; what was sent is repeated as far as a sentence carries.
fn fault_of(path: &str, said: &str) -> Fault {
    const CARRIES: usize = 300;
    let shorter: String = said.chars().take(CARRIES).collect();
    let said = if shorter.len() < said.len() { &format!("{shorter}…") } else { said };
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
    // A date or a time that is none, in the words of its reader.
    if said.starts_with("failed to parse") || said.contains("digit year") {
        let said = "This cannot be read. Write a day as 2026-03-02, a time of day as 18:00, a moment as \
                    2026-03-02T17:00:00Z.";
        return Fault::new(path, said);
    }
    let full_stop = if said.ends_with('.') { "" } else { "." };
    Fault::new(path, format!("{said}{full_stop}"))
}
