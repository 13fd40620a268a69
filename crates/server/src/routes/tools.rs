//! Tools the workshop owns: rods, pliers and saw blades, and start sets to take over.

use axum::Json;
use axum::extract::{Path, Query, State as Shared};
use axum::http::StatusCode;
use lorimant_core::cutting::Blade;
use lorimant_core::mandrel::Mandrel;
use lorimant_core::plier::Plier;
use lorimant_core::workshop::StartSet;
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::plans::{Archive, ListQuery, Revised, edit};
use super::{read, write};
use crate::State;
use crate::problem::{Body, Problem};
use crate::store::kept::{Kept, KeptBlade};
use crate::store::shelf::{self, Edit, Page, Shelf, Written};

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

/// Lists the workshop's rods.
#[utoipa::path(get, path = "/api/rods", params(ListQuery), responses((status = 200, body = Page<Mandrel>)))]
async fn list_rods(
    Shared(state): Shared<State>,
    Query(query): Query<ListQuery>,
) -> Result<Json<Page<Mandrel>>, Problem> {
    read(&state, |connection| Shelf::Rods.page(connection, &query.wanted())).await.map(Json)
}

pub(super) async fn add<T: Kept + Send + 'static>(
    state: &State,
    shelf: Shelf,
    record: T,
) -> Result<(StatusCode, Json<Written<T>>), Problem> {
    record.check()?;
    let written = write(state, move |transaction| {
        let undo = shelf::batch(transaction)?;
        let entry = shelf.add(transaction, undo, &record)?;
        Ok(Written { entry, undo })
    });
    Ok((StatusCode::CREATED, Json(written.await?)))
}

/// Adds a rod.
#[utoipa::path(post, path = "/api/rods", request_body = Mandrel,
    responses((status = 201, body = Written<Mandrel>), (status = 422, body = Problem)))]
async fn add_rod(
    Shared(state): Shared<State>,
    Body(rod): Body<Mandrel>,
) -> Result<(StatusCode, Json<Written<Mandrel>>), Problem> {
    add(&state, Shelf::Rods, rod).await
}

/// Changes a rod.
#[utoipa::path(put, path = "/api/rods/{id}", params(("id" = i64, Path), Revised), request_body = Mandrel,
    responses((status = 200, body = Written<Mandrel>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn change_rod(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(Revised { revision }): Query<Revised>,
    Body(rod): Body<Mandrel>,
) -> Result<Json<Written<Mandrel>>, Problem> {
    Kept::check(&rod)?;
    edit(&state, Shelf::Rods, id, revision, Edit::Replace(rod)).await
}

/// Removes a rod, or takes it back.
#[utoipa::path(post, path = "/api/rods/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<Mandrel>), (status = 409, body = Problem)))]
async fn archive_rod(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<Mandrel>>, Problem> {
    edit(&state, Shelf::Rods, id, wish.revision, Edit::Archive(wish.archived)).await
}

/// Lists the workshop's pliers.
#[utoipa::path(get, path = "/api/pliers", params(ListQuery), responses((status = 200, body = Page<Plier>)))]
async fn list_pliers(
    Shared(state): Shared<State>,
    Query(query): Query<ListQuery>,
) -> Result<Json<Page<Plier>>, Problem> {
    read(&state, |connection| Shelf::Pliers.page(connection, &query.wanted())).await.map(Json)
}

/// Adds a plier.
#[utoipa::path(post, path = "/api/pliers", request_body = Plier,
    responses((status = 201, body = Written<Plier>), (status = 422, body = Problem)))]
async fn add_plier(
    Shared(state): Shared<State>,
    Body(plier): Body<Plier>,
) -> Result<(StatusCode, Json<Written<Plier>>), Problem> {
    add(&state, Shelf::Pliers, plier).await
}

/// Changes a plier.
#[utoipa::path(put, path = "/api/pliers/{id}", params(("id" = i64, Path), Revised), request_body = Plier,
    responses((status = 200, body = Written<Plier>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn change_plier(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(Revised { revision }): Query<Revised>,
    Body(plier): Body<Plier>,
) -> Result<Json<Written<Plier>>, Problem> {
    Kept::check(&plier)?;
    edit(&state, Shelf::Pliers, id, revision, Edit::Replace(plier)).await
}

/// Removes a plier, or takes it back.
#[utoipa::path(post, path = "/api/pliers/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<Plier>), (status = 409, body = Problem)))]
async fn archive_plier(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<Plier>>, Problem> {
    edit(&state, Shelf::Pliers, id, wish.revision, Edit::Archive(wish.archived)).await
}

/// Lists the workshop's saw blades.
#[utoipa::path(get, path = "/api/blades", params(ListQuery), responses((status = 200, body = Page<KeptBlade>)))]
async fn list_blades(
    Shared(state): Shared<State>,
    Query(query): Query<ListQuery>,
) -> Result<Json<Page<KeptBlade>>, Problem> {
    read(&state, |connection| Shelf::Blades.page(connection, &query.wanted())).await.map(Json)
}

/// Adds a saw blade.
#[utoipa::path(post, path = "/api/blades", request_body = KeptBlade,
    responses((status = 201, body = Written<KeptBlade>), (status = 422, body = Problem)))]
async fn add_blade(
    Shared(state): Shared<State>,
    Body(blade): Body<KeptBlade>,
) -> Result<(StatusCode, Json<Written<KeptBlade>>), Problem> {
    add(&state, Shelf::Blades, blade).await
}

/// Changes a saw blade.
#[utoipa::path(put, path = "/api/blades/{id}", params(("id" = i64, Path), Revised), request_body = KeptBlade,
    responses((status = 200, body = Written<KeptBlade>), (status = 409, body = Problem)))]
async fn change_blade(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(Revised { revision }): Query<Revised>,
    Body(blade): Body<KeptBlade>,
) -> Result<Json<Written<KeptBlade>>, Problem> {
    blade.check()?;
    edit(&state, Shelf::Blades, id, revision, Edit::Replace(blade)).await
}

/// Removes a saw blade, or takes it back.
#[utoipa::path(post, path = "/api/blades/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<KeptBlade>), (status = 409, body = Problem)))]
async fn archive_blade(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<KeptBlade>>, Problem> {
    edit(&state, Shelf::Blades, id, wish.revision, Edit::Archive(wish.archived)).await
}

/// A saw blade as makers list it.
#[derive(Serialize, ToSchema)]
struct BladeRow {
    /// Which.
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
    /// Which.
    set: StartSet,
    /// Its name.
    shown: &'static str,
    /// How many rods it has.
    rods_n: usize,
}

/// The start sets there are.
#[utoipa::path(get, path = "/api/start-sets", responses((status = 200, body = Vec<StartSetRow>)))]
async fn start_sets() -> Json<Vec<StartSetRow>> {
    let row = |set: &StartSet| StartSetRow { set: *set, shown: set.shown(), rods_n: set.rods().len() };
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
        let undo = shelf::batch(transaction)?;
        let added_n = Shelf::Rods.add_missing(transaction, undo, &set.rods())?;
        Ok(TakenOver { added_n, undo: (added_n > 0).then_some(undo) })
    });
    Ok((StatusCode::CREATED, Json(taken.await?)))
}
