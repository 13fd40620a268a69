//! The workshop's settings.

use axum::Json;
use axum::extract::State as Shared;
use lorimant_core::words::gauge::MM_PER_INCH;
use lorimant_core::words::scale::{self, Scale};
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::Revised;
use super::{read, write};
use crate::extract::{Body, Query};
use crate::kept::Settings;
use crate::problem::Problem;
use crate::state::State;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(get_settings, change_settings))
}

/// Settings with their revision, and how lengths are shown under them.
#[derive(Serialize, ToSchema)]
struct Revisioned {
    /// The settings.
    settings: Settings,
    /// How often they were changed; send it back with an edit.
    revision: i64,
    /// The units lengths of wire are read in, the smallest first.
    scales: Vec<Scale>,
    /// The unit sizes are read in with a caliper.
    caliper: Scale,
    /// An inch, mm.
    inch_mm: f64,
}

impl Revisioned {
    fn new(settings: Settings, revision: i64) -> Self {
        let scales = scale::scales(settings.unit).to_vec();
        let caliper = scale::caliper_scale(settings.unit);
        Self { settings, revision, scales, caliper, inch_mm: MM_PER_INCH }
    }
}

/// The workshop's settings.
#[utoipa::path(get, path = "/api/settings", responses((status = 200, body = Revisioned)))]
async fn get_settings(Shared(state): Shared<State>) -> Result<Json<Revisioned>, Problem> {
    let (settings, revision) = read(&state, crate::store::settings).await?;
    Ok(Json(Revisioned::new(settings, revision)))
}

/// Changes the workshop's settings.
#[utoipa::path(put, path = "/api/settings", params(Revised), request_body = Settings,
    responses((status = 200, body = Revisioned), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn change_settings(
    Shared(state): Shared<State>,
    Query(Revised { revision }): Query<Revised>,
    Body(settings): Body<Settings>,
) -> Result<Json<Revisioned>, Problem> {
    settings.check()?;
    let kept = settings.clone();
    let revision = write(&state, move |t| crate::store::checks::keep_settings(t, &kept, revision)).await?;
    Ok(Json(Revisioned::new(settings, revision)))
}
