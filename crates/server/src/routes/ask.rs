//! The ask line, single lengths, and the fields of forms.

use std::cell::Cell;

use axum::Json;
use axum::extract::State as Shared;
use lorimant_core::ask::{Answer, Kept};
use lorimant_core::fault::Fault;
use lorimant_core::piece::Piece;
use lorimant_core::reading::day;
use lorimant_core::reading::field::{self, ReadField, TypedField};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::words::length::{self, Reading};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::mine::{self, Found};
use super::{aside, read};
use crate::extract::Body;
use crate::kept::{KeptChain, KeptPattern, KeptPlan};
use crate::problem::Problem;
use crate::state::State;
use crate::store::shelf::{Entry, Shelf};
use crate::store::{Store, StoreError};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(ask))
        .routes(routes!(read_length))
        .routes(routes!(read_fields))
        .routes(routes!(read_day))
}

/// A typed line.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Typed {
    /// What was typed.
    text: String,
}

/// A typed length.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct TypedLength {
    /// What was typed.
    text: String,
    /// Whether it is a wire's size: then a bare number that no wire is thick is a gauge.
    #[serde(default)]
    of_wire: bool,
}

/// An answer, with what of the workshop it speaks of.
#[derive(Serialize, ToSchema)]
struct Asked {
    /// The answer.
    #[serde(flatten)]
    answer: Answer,
    /// What of the workshop it speaks of, to be opened.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    found: Vec<Found>,
}

/// Answers the ask line.
#[utoipa::path(post, path = "/api/ask", request_body = Typed,
    responses((status = 200, body = Asked), (status = 422, body = Problem)))]
async fn ask(Shared(state): Shared<State>, Body(typed): Body<Typed>) -> Result<Json<Asked>, Problem> {
    if let Some(mine) = lorimant_core::ask::mine::read(&typed.text) {
        let (answer, found) = mine::answer(&state, mine).await?;
        return Ok(Json(Asked { answer, found }));
    }
    let store = state.store.clone();
    let named = typed.text.clone();
    let answered = aside(move || {
        with_kept(&store, |workshop, kept| lorimant_core::ask::answer(&typed.text, workshop, kept))
    });
    let mut answer = answered.await??;
    let found = match lorimant_core::ask::mine::name_in(&named) {
        Some(words) => mine::called(&state, words).await?,
        None => vec![],
    };
    // A line that is nothing but a name asks for what is called so.
    if answer.headline.is_empty() && !found.is_empty() {
        answer = Answer::default();
    }
    Ok(Json(Asked { answer, found }))
}

/// Works something out that may ask what is kept; few lines do, and only those wait for it to be read.
pub(super) fn with_kept<T>(
    store: &Store,
    work: impl FnOnce(&Workshop, &dyn Fn() -> Vec<Kept>) -> T,
) -> Result<T, StoreError> {
    let broken = Cell::new(None);
    let kept = || {
        store.read(kept_pieces).unwrap_or_else(|error| {
            broken.set(Some(error));
            vec![]
        })
    };
    let done = work(&store.workshop(), &kept);
    broken.take().map_or(Ok(done), Err)
}

/// Everything kept that can be made, with its name.
fn kept_pieces(connection: &rusqlite::Connection) -> Result<Vec<Kept>, StoreError> {
    let plans: Vec<Entry<KeptPlan>> = Shelf::Plans.all(connection)?;
    let patterns: Vec<Entry<KeptPattern>> = Shelf::Patterns.all(connection)?;
    let chains: Vec<Entry<KeptChain>> = Shelf::Chains.all(connection)?;
    let rings =
        plans.into_iter().map(|entry| Kept { name: entry.name, piece: Piece::Rings(entry.record.request) });
    let findings = patterns
        .into_iter()
        .map(|entry| Kept { name: entry.name, piece: Piece::Finding(entry.record.request) });
    let chains = chains
        .into_iter()
        .map(|entry| Kept { name: entry.name, piece: Piece::Chain(Box::new(entry.record.request)) });
    Ok(rings.chain(findings).chain(chains).collect())
}

/// Reads one typed length.
#[utoipa::path(post, path = "/api/lengths/read", request_body = TypedLength,
    responses((status = 200, body = Reading), (status = 422, body = Problem)))]
async fn read_length(
    Shared(state): Shared<State>,
    Body(TypedLength { text, of_wire }): Body<TypedLength>,
) -> Result<Json<Reading>, Problem> {
    let habits = state.store.workshop().habits;
    let reading = if of_wire { length::read_size(&text, habits) } else { length::read(&text, habits) };
    reading.map(Json).map_err(|message| Fault::new("text", message).into())
}

/// The fields of a form as they are typed.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct TypedForm {
    /// The fields, at most 100.
    fields: Vec<TypedField>,
    /// The wire that lengths by weight are of.
    #[serde(default)]
    wire: Option<Wire>,
}

/// Most fields read at once.
const MOST_FIELDS: usize = 100;

/// Reads the fields of a form; every fault comes back at its field.
#[utoipa::path(post, path = "/api/fields/read", request_body = TypedForm,
    responses((status = 200, body = Vec<ReadField>), (status = 422, body = Problem)))]
async fn read_fields(
    Shared(state): Shared<State>,
    Body(TypedForm { fields, wire }): Body<TypedForm>,
) -> Result<Json<Vec<ReadField>>, Problem> {
    let n = fields.len();
    if n > MOST_FIELDS {
        let message = text!("api-ask-fields-too-many-read-at", n, MOST_FIELDS);
        return Err(Fault::new("fields", message).limit(100.0).into());
    }
    Ok(Json(field::read(&fields, wire.as_ref(), state.store.workshop().habits)?))
}

/// A day that was read.
#[derive(Serialize, ToSchema)]
struct ReadDay {
    /// The day.
    #[schema(value_type = String, format = Date)]
    day: jiff::civil::Date,
    /// The day in words, with its weekday.
    text: String,
}

/// A typed day.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct TypedDay {
    /// What was typed.
    text: String,
    /// Whether it has been: then a weekday is the last before today, and a day without a year the last there was.
    #[serde(default)]
    past: bool,
}

/// Reads a day, `Friday`, `5 December` or `in 2 weeks`, seen from today in the workshop's time zone.
#[utoipa::path(post, path = "/api/days/read", request_body = TypedDay,
    responses((status = 200, body = ReadDay), (status = 422, body = Problem)))]
async fn read_day(
    Shared(state): Shared<State>,
    Body(TypedDay { text, past }): Body<TypedDay>,
) -> Result<Json<ReadDay>, Problem> {
    let (settings, _) = read(&state, crate::store::settings).await?;
    let today = settings.today();
    let read = if past { day::read_past } else { day::read };
    let day = read(&text, today).map_err(|message| Fault::new("text", message))?;
    Ok(Json(ReadDay { day, text: day::told(day, today) }))
}
