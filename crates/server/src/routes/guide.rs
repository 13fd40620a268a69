//! Tables to look things up in: gauges, metals, cautions.

use axum::Json;
use lorimant_core::pattern::Worn;
use lorimant_core::rack::choose::{Finish, Joined, Maker, Matters};
use lorimant_core::rack::stock::MovementKind;
use lorimant_core::rack::stock::StockKind;
use lorimant_core::rack::stock::scrap::Cleanliness;
use lorimant_core::wire::hardening::{HardeningCurve, hardening};
use lorimant_core::wire::metal::{Figures, Metal, Temper};
use lorimant_core::wire::section::Section;
use lorimant_core::wire::surface::Surface;
use lorimant_core::words::gauge::{self, GaugeRow, GaugeSystem};
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::state::State;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(gauges)).routes(routes!(metals)).routes(routes!(words))
}

/// A gauge system with its table.
#[derive(Serialize, ToSchema)]
struct GaugeTable {
    /// Which system.
    system: GaugeSystem,
    /// Its name.
    label: &'static str,
    /// Its sizes, thickest first.
    rows: Vec<GaugeRow>,
}

/// The gauge tables.
#[utoipa::path(get, path = "/api/gauges", responses((status = 200, body = Vec<GaugeTable>)))]
async fn gauges() -> Json<Vec<GaugeTable>> {
    let table = |system: &GaugeSystem| GaugeTable {
        system: *system,
        label: system.shown(),
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
    label: &'static str,
    /// Its figures.
    figures: Figures,
    /// How it is joined, in words.
    joining: String,
    /// How it is annealed, in words.
    annealing: String,
    /// How it hardens as it is worked.
    hardening: HardeningCurve,
}

/// The metals with their handbook figures.
#[utoipa::path(get, path = "/api/metals", responses((status = 200, body = Vec<MetalRow>)))]
async fn metals() -> Json<Vec<MetalRow>> {
    let row = |metal: &Metal| MetalRow {
        metal: *metal,
        label: metal.shown(),
        figures: *metal.figures(),
        joining: metal.joining(),
        annealing: metal.annealing_shown(),
        hardening: hardening(*metal),
    };
    Json(Metal::ALL.iter().map(row).collect())
}

/// A word as it travels, and as a person reads it.
#[derive(Serialize, ToSchema)]
struct Word {
    /// As it travels.
    word: &'static str,
    /// As a person reads it.
    label: &'static str,
}

/// The words that can be chosen from, in the order people list them.
#[derive(Serialize, ToSchema)]
struct Words {
    /// Metals.
    metals: Vec<Word>,
    /// Tempers.
    tempers: Vec<Word>,
    /// Sections of wire.
    sections: Vec<Word>,
    /// What lies on the metal.
    surfaces: Vec<Word>,
    /// Those of them whose skin has a share of the weight.
    skinned_surfaces: Vec<Surface>,
    /// Spool, offcut, straight length.
    stock_kinds: Vec<Word>,
    /// Why the length of a lot changes.
    movement_kinds: Vec<Word>,
    /// How clean scrap is.
    cleanlinesses: Vec<Word>,
    /// Where a piece is worn.
    worn: Vec<Word>,
    /// How it is finished.
    finishes: Vec<Word>,
    /// How it is joined.
    joins: Vec<Word>,
    /// Who makes it.
    makers: Vec<Word>,
    /// What matters most in a wire.
    matters: Vec<Word>,
}

/// Everything that is chosen by a word.
#[utoipa::path(get, path = "/api/words", responses((status = 200, body = Words)))]
async fn words() -> Json<Words> {
    macro_rules! all {
        ($Name:ident) => {
            $Name::ALL.iter().map(|one| Word { word: one.word(), label: one.shown() }).collect()
        };
    }
    Json(Words {
        metals: all!(Metal),
        tempers: all!(Temper),
        sections: all!(Section),
        surfaces: all!(Surface),
        skinned_surfaces: Surface::ALL.iter().copied().filter(|surface| surface.is_skin()).collect(),
        stock_kinds: all!(StockKind),
        movement_kinds: all!(MovementKind),
        cleanlinesses: all!(Cleanliness),
        worn: all!(Worn),
        finishes: all!(Finish),
        joins: all!(Joined),
        makers: all!(Maker),
        matters: all!(Matters),
    })
}
