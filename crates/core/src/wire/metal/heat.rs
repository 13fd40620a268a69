//! What a metal does in a flame: when it is hot enough, how long it is held there, how it is cooled.

use serde::Serialize;

use crate::words::words;

words! {
    /// How a maker sees that a metal is hot enough to be soft.
    pub enum HeatCue ("heat-cue") {
        /// A felt marker's line fades: aluminium melts before it glows.
        MarkerFades = "marker-fades";
        /// The surface turns matt white, before any glow.
        TurnsWhite = "turns-white";
        /// Paste flux melts clear.
        FluxClears = "flux-clears";
        /// The first red that can be seen in shade.
        FirstRed = "first-red";
        /// Cherry red.
        CherryRed = "cherry-red";
        /// Bright orange.
        BrightOrange = "bright-orange";
    }
}

words! {
    /// How a metal is cooled once it has been hot.
    pub enum Cooling ("cooling") {
        /// In water at once: slow cooling spoils it.
        WaterAtOnce = "water-at-once";
        /// In water, once it no longer glows.
        WaterWhenBlack = "water-when-black";
        /// In air, untouched: it is brittle while hot or cracks in cold water.
        Air = "air";
        /// Slowly, in something that keeps it warm.
        Slow = "slow";
    }
}

impl Cooling {
    /// Minutes it takes without the maker.
    #[must_use]
    pub fn minutes(self) -> f64 {
        match self {
            Self::WaterAtOnce | Self::WaterWhenBlack => 0.0,
            Self::Air => 5.0,
            Self::Slow => 60.0,
        }
    }
}

/// How a metal is annealed with a torch in air. Cues and coolings are general bench practice, temperatures of metals
/// handbooks.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Annealing {
    /// What shows that it is hot enough.
    pub cue: HeatCue,
    /// How long it is held there, seconds.
    pub soak_s: u16,
    /// How it is cooled.
    pub cooling: Cooling,
}

impl Annealing {
    pub(super) const fn new(cue: HeatCue, soak_s: u16, cooling: Cooling) -> Self {
        Self { cue, soak_s, cooling }
    }
}
