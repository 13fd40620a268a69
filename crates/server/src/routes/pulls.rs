//! Pull tests of a lot: a weight and a length, and what they say of its wire.

use axum::Json;
use axum::extract::State as Shared;
use axum::http::StatusCode;
use lorimant_core::rack::stock::{Lot, Movement, MovementKind};
use lorimant_core::wire::pull::PullTest;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::write;
use crate::extract::{Body, Path};
use crate::problem::Problem;
use crate::state::State;
use crate::store::shelf::{Edit, Entry, Shelf};
use crate::store::{StoreError, batch, checks, ledger};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(add_pull)).routes(routes!(set_pull_aside))
}

/// A pull test as it was made.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct NewPull {
    /// The most the wire was pulled with, g.
    weight_g: f64,
    /// Length between its two marks before, mm.
    length_mm: f64,
    /// Length between the marks once it was let go, mm; left out where it broke.
    #[serde(default)]
    stretched_mm: Option<f64>,
    /// Wire that was used for it, mm; it is booked as tried.
    #[serde(default)]
    used_mm: Option<f64>,
    /// That it is right although it is doubted.
    #[serde(default)]
    sure: bool,
}

/// What was kept can be undone like everything else.
#[derive(Serialize, ToSchema)]
struct PullKept {
    /// The test in a sentence, beside what is usual.
    text: String,
    /// Number to post to `/api/undo/{batch}`.
    undo: i64,
}

/// Keeps a pull test of a lot. One that can hardly be is refused with a fault at `doubt`, until it is sent as sure.
#[utoipa::path(post, path = "/api/lots/{id}/pulls", params(("id" = i64, Path)), request_body = NewPull,
    responses((status = 201, body = PullKept), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn add_pull(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(NewPull { weight_g, length_mm, stretched_mm, used_mm, sure }): Body<NewPull>,
) -> Result<(StatusCode, Json<PullKept>), Problem> {
    let unit = state.store.workshop().habits.unit;
    let pull = PullTest { weight_g, length_mm, stretched_mm, excluded: false };
    pull.check(unit)?;
    let kept = write(&state, move |t| {
        let Entry { record: lot, revision, .. }: Entry<Lot> = Shelf::Lots.get(t, id)?;
        let told = pull.told(&lot.wire, unit);
        if !sure {
            pull.doubt(&lot.wire).map_err(|fault| StoreError::Refused(fault.into()))?;
        }
        let undo = batch::next(t)?;
        if let Some(used_mm) = used_mm {
            let note = text!("api-pulls-pull-test").to_owned();
            let line = Movement { kind: MovementKind::Tried, length_mm: -used_mm, note };
            line.check().map_err(StoreError::Refused)?;
            ledger::book(t, undo, id, &line)?;
        }
        let pulls = [&lot.pulls[..], &[pull]].concat();
        Shelf::Lots.edit(t, undo, id, revision, &Edit::Replace(Lot { pulls, ..lot }))?;
        checks::relearn_all(t)?;
        Ok(PullKept { text: told, undo })
    });
    Ok((StatusCode::CREATED, Json(kept.await?)))
}

/// A pull test to set aside, or to take in again.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct PullAside {
    /// Its place among those of the lot, from 0.
    pull_n: usize,
    /// Aside, or in again.
    excluded: bool,
}

/// Sets a pull test aside, or takes it in again.
#[utoipa::path(post, path = "/api/lots/{id}/pulls/aside", params(("id" = i64, Path)), request_body = PullAside,
    responses((status = 200, body = PullKept), (status = 404, body = Problem)))]
async fn set_pull_aside(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(PullAside { pull_n, excluded }): Body<PullAside>,
) -> Result<Json<PullKept>, Problem> {
    let unit = state.store.workshop().habits.unit;
    let kept = write(&state, move |t| {
        let Entry { record: mut lot, revision, .. }: Entry<Lot> = Shelf::Lots.get(t, id)?;
        let missing = || StoreError::Missing { what: text!("api-pulls-pull-test"), id: pull_n as i64 };
        let pull = lot.pulls.get_mut(pull_n).ok_or_else(missing)?;
        pull.excluded = excluded;
        let told = pull.told(&lot.wire, unit);
        let undo = batch::next(t)?;
        Shelf::Lots.edit(t, undo, id, revision, &Edit::Replace(lot))?;
        checks::relearn_all(t)?;
        Ok(PullKept { text: told, undo })
    });
    kept.await.map(Json)
}
