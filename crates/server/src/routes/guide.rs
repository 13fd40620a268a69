//! Tables to look things up in: gauges, metals, cautions.

use axum::Json;
use lorimant_core::gauge::{self, GaugeRow, GaugeSystem};
use lorimant_core::metal::{Figures, Metal};
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::State;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(gauges)).routes(routes!(metals))
}

/// A gauge system with its table.
#[derive(Serialize, ToSchema)]
struct GaugeTable {
    /// Which system.
    system: GaugeSystem,
    /// Its name.
    shown: &'static str,
    /// Its sizes, thickest first.
    rows: Vec<GaugeRow>,
}

/// The gauge tables.
#[utoipa::path(get, path = "/api/gauges", responses((status = 200, body = Vec<GaugeTable>)))]
async fn gauges() -> Json<Vec<GaugeTable>> {
    let table = |system: &GaugeSystem| GaugeTable {
        system: *system,
        shown: system.shown(),
        rows: gauge::table(*system),
    };
    Json(GaugeSystem::ALL.iter().map(table).collect())
}

/// A metal with its handbook figures.
#[derive(Serialize, ToSchema)]
struct MetalRow {
    /// Which metal.
    metal: Metal,
    /// Its name.
    shown: &'static str,
    /// Its figures.
    figures: Figures,
}

/// The metals with their handbook figures.
#[utoipa::path(get, path = "/api/metals", responses((status = 200, body = Vec<MetalRow>)))]
async fn metals() -> Json<Vec<MetalRow>> {
    let row = |metal: &Metal| MetalRow { metal: *metal, shown: metal.shown(), figures: metal.figures() };
    Json(Metal::ALL.iter().map(row).collect())
}
