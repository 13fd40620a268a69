//! What a workshop lets pass: how far a made piece may be off its drawing.

use serde::{Deserialize, Serialize};

use crate::fault::{Faults, Span};
use lorimant_text::Text;

/// How far a piece may be off, mm to either side: a workshop's habits. Handwork is alike, not identical: none is zero.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Tolerances {
    /// The inside of a ring or coil; 0.1 if left out.
    pub ring_mm: f64,
    /// The inside of a loop or bend; 0.2 if left out.
    pub loop_mm: f64,
    /// A length; 0.6 if left out.
    pub length_mm: f64,
    /// How wide the gap of something closed may be; 0.15 if left out.
    pub gap_mm: f64,
    /// The wire; 0.03 if left out.
    pub wire_mm: f64,
    /// How unlike the two of a pair may be; 0.4 if left out.
    pub pair_mm: f64,
}

impl Default for Tolerances {
    fn default() -> Self {
        Self { ring_mm: 0.1, loop_mm: 0.2, length_mm: 0.6, gap_mm: 0.15, wire_mm: 0.03, pair_mm: 0.4 }
    }
}

impl Tolerances {
    const SPAN: Span =
        Span { noun: Text::named("tolerance-tolerance"), unit: " mm", least: 0.01, most: 10.0 };

    /// Checks every one.
    ///
    /// ```
    /// use lorimant_core::tool::tolerance::Tolerances;
    ///
    /// assert!(Tolerances { ring_mm: 0.0, ..Tolerances::default() }.check().is_err(), "never zero");
    /// ```
    ///
    /// # Errors
    /// A fault at each that is under 0.01 or above 10 mm.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        for (field, value) in [
            ("ring_mm", self.ring_mm),
            ("loop_mm", self.loop_mm),
            ("length_mm", self.length_mm),
            ("gap_mm", self.gap_mm),
            ("wire_mm", self.wire_mm),
            ("pair_mm", self.pair_mm),
        ] {
            faults.keep(Self::SPAN.check(field, value));
        }
        faults.into_result()
    }
}
