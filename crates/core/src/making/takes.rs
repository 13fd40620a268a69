//! What an operation takes: wire, minutes, effort.

use serde::Serialize;

use crate::words::words;

words! {
    /// Where wire that is lost goes.
    pub enum Lost ("lost") {
        /// Clean metal: slivers, tails, offcuts; it can be melted.
        Clean = "clean";
        /// Metal with solder on it; for the refiner.
        Soldered = "soldered";
        /// Kerf and filings; for the refiner.
        Dust = "dust";
    }
}

/// Wire that an operation takes off.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct WireLost {
    /// Where it goes.
    pub kind: Lost,
    /// How much, mm of the wire as it was sold.
    pub mm: f64,
    /// The same, grams.
    pub g: f64,
}

/// What an operation takes. The minutes are typical of a practised hand, until the workshop's own are known.
#[derive(Debug, Clone, PartialEq, Default, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Takes {
    /// Wire off the workpiece: of one finding; of a plan of rings, off all its coils.
    pub wire: Vec<WireLost>,
    /// Minutes to lay out tools, once however many are made.
    pub setting_up_min: f64,
    /// Minutes for one piece.
    pub each_min: f64,
    /// How hard it is on the hand, as a multiple of bending 20 AWG soft copper; 0 where nothing is bent.
    pub effort: f64,
    /// Minutes that pass without the maker.
    pub unattended_min: f64,
}

impl Takes {
    /// So many minutes to set up, and for each.
    #[must_use]
    pub fn minutes(setting_up_min: f64, each_min: f64) -> Self {
        Self { setting_up_min, each_min, ..Self::default() }
    }

    /// The same, with an effort.
    #[must_use]
    pub fn effort(self, effort: f64) -> Self {
        Self { effort, ..self }
    }

    /// All wire lost, mm.
    ///
    /// ```
    /// use lorimant_core::making::Takes;
    ///
    /// assert_eq!(Takes::minutes(1.0, 0.5).lost_mm(), 0.0);
    /// ```
    #[must_use]
    pub fn lost_mm(&self) -> f64 {
        self.wire.iter().map(|lost| lost.mm).sum()
    }
}
