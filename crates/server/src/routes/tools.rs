//! Tools the workshop owns: rods, pliers and saw blades, and start sets to take over.

use axum::Json;
use axum::extract::State as Shared;
use axum::http::StatusCode;
use lorimant_core::tool::cutting::Blade;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::plier::Plier;
use lorimant_core::tool::workshop::StartSet;
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::shelf_routes;
use super::write;
use crate::extract::Path;
use crate::kept::KeptBlade;
use crate::problem::Problem;
use crate::state::State;
use crate::store::batch;
use crate::store::shelf::Shelf;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_rods, add_rod))
        .routes(routes!(change_rod))
        .routes(routes!(archive_rod))
        .routes(routes!(list_pliers, add_plier))
        .routes(routes!(change_plier))
        .routes(routes!(archive_plier))
        .routes(routes!(list_blades, add_blade))
        .routes(routes!(change_blade))
        .routes(routes!(archive_blade))
        .routes(routes!(blade_table))
        .routes(routes!(start_sets))
        .routes(routes!(take_over_start_set))
}

shelf_routes! {
    Rods of Mandrel;
    /// Lists the workshop's rods.
    list_rods at "/api/rods";
    /// Adds a rod.
    add_rod;
    /// Changes a rod.
    change_rod at "/api/rods/{id}";
    /// Removes a rod, or takes it back.
    archive_rod at "/api/rods/{id}/archive";
}

shelf_routes! {
    Pliers of Plier;
    /// Lists the workshop's pliers.
    list_pliers at "/api/pliers";
    /// Adds a plier.
    add_plier;
    /// Changes a plier.
    change_plier at "/api/pliers/{id}";
    /// Removes a plier, or takes it back.
    archive_plier at "/api/pliers/{id}/archive";
}

shelf_routes! {
    Blades of KeptBlade;
    /// Lists the workshop's saw blades.
    list_blades at "/api/blades";
    /// Adds a saw blade.
    add_blade;
    /// Changes a saw blade.
    change_blade at "/api/blades/{id}";
    /// Removes a saw blade, or takes it back.
    archive_blade at "/api/blades/{id}/archive";
}

/// A saw blade as makers list it.
#[derive(Serialize, ToSchema)]
struct BladeRow {
    /// The blade, by its number.
    blade: Blade,
    /// Thickness, which is its kerf, mm.
    thickness_mm: f64,
    /// Teeth per inch.
    teeth_per_inch: f64,
    /// Thinnest wire it has two teeth in, mm.
    least_wire_mm: f64,
}

/// The saw blades there are.
#[utoipa::path(get, path = "/api/blade-table", responses((status = 200, body = Vec<BladeRow>)))]
async fn blade_table() -> Json<Vec<BladeRow>> {
    let row = |blade: &Blade| BladeRow {
        blade: *blade,
        thickness_mm: blade.thickness_mm(),
        teeth_per_inch: blade.teeth_per_inch(),
        least_wire_mm: blade.least_wire_mm(),
    };
    Json(Blade::ALL.iter().map(row).collect())
}

/// A ready list of rods.
#[derive(Serialize, ToSchema)]
struct StartSetRow {
    /// The set.
    set: StartSet,
    /// Its name.
    label: &'static str,
    /// How many rods it has.
    rods_n: usize,
}

/// The start sets there are.
#[utoipa::path(get, path = "/api/start-sets", responses((status = 200, body = Vec<StartSetRow>)))]
async fn start_sets() -> Json<Vec<StartSetRow>> {
    let row = |set: &StartSet| StartSetRow { set: *set, label: set.shown(), rods_n: set.rods().len() };
    Json(StartSet::ALL.iter().map(row).collect())
}

/// What was taken over.
#[derive(Serialize, ToSchema)]
struct TakenOver {
    /// How many rods were added; those already owned are left alone.
    added_n: usize,
    /// Number to post to `/api/undo/{batch}`; none where nothing was added.
    #[serde(skip_serializing_if = "Option::is_none")]
    undo: Option<i64>,
}

/// Takes a start set over into the workshop's rods.
#[utoipa::path(post, path = "/api/start-sets/{set}", params(("set" = StartSet, Path)),
    responses((status = 201, body = TakenOver), (status = 404, body = Problem)))]
async fn take_over_start_set(
    Shared(state): Shared<State>,
    Path(set): Path<String>,
) -> Result<(StatusCode, Json<TakenOver>), Problem> {
    let set: StartSet = set.parse().map_err(|error| Problem::missing(format!("{error}")))?;
    let taken = write(&state, move |transaction| {
        let undo = batch::next(transaction)?;
        let added_n = Shelf::Rods.add_missing(transaction, undo, &set.rods())?;
        Ok(TakenOver { added_n, undo: (added_n > 0).then_some(undo) })
    });
    Ok((StatusCode::CREATED, Json(taken.await?)))
}
