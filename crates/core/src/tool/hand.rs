//! What handwork adds to a ring's size: how well each thing is measured, wound and closed in this workshop.

use serde::{Deserialize, Serialize};

use crate::fault::{Faults, Span};
use crate::tool::mandrel::Mandrel;
use crate::words::words;
use lorimant_text::Text;

/// How far each source of unevenness moves a ring's inside, mm, one standard deviation: a workshop's habits, to be
/// corrected by what its own rings show.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct HandSpread {
    /// The rod, as it was measured; 0.02 if left out.
    pub rod_mm: f64,
    /// A rod of wood gives and wears: so much more; 0.05 if left out.
    pub wood_mm: f64,
    /// The coil not hugging the rod; 0.02 if left out.
    #[serde(alias = "hugging_mm")]
    pub coil_slack_mm: f64,
    /// The kerf wandering off the line, where the coil is sawn; 0.01 if left out.
    pub kerf_mm: f64,
    /// Closing; 0.02 if left out.
    pub closing_mm: f64,
    /// Roundness; 0.03 if left out.
    pub roundness_mm: f64,
    /// The caliper that measures it; 0.02 if left out.
    pub caliper_mm: f64,
}

impl Default for HandSpread {
    fn default() -> Self {
        Self {
            rod_mm: 0.02,
            wood_mm: 0.05,
            coil_slack_mm: 0.02,
            kerf_mm: 0.01,
            closing_mm: 0.02,
            roundness_mm: 0.03,
            caliper_mm: 0.02,
        }
    }
}

words! {
    /// What makes one ring differ from the plan, besides its metal.
    pub enum HandSource ("hand-source") {
        /// The rod as it was measured.
        Rod = "rod";
        /// The give of a wooden rod.
        Wood = "wood";
        /// Tape that is thicker or thinner than it is said to be.
        Tape = "tape";
        /// A coil that is not tight on its rod.
        CoilSlack = "coil-slack";
        /// A saw that leaves its line.
        Kerf = "kerf";
        /// Closing.
        Closing = "closing";
        /// Roundness.
        Roundness = "roundness";
        /// The caliper.
        Caliper = "caliper";
    }
}

/// Tape stretches, overlaps and gives: one standard deviation of what it adds, as a share of that. An estimate.
pub const TAPE_SHARE: f64 = 0.1;

/// Names that rods of wood go by.
const WOODEN: [&str; 3] = ["dowel", "wood", "stick"];

impl HandSpread {
    const SPREAD: Span = Span { noun: Text::named("hand-unevenness"), unit: " mm", least: 0.0, most: 2.0 };

    /// Its sources by field name.
    fn fields(&self) -> [(&'static str, f64); 7] {
        [
            ("rod_mm", self.rod_mm),
            ("wood_mm", self.wood_mm),
            ("coil_slack_mm", self.coil_slack_mm),
            ("kerf_mm", self.kerf_mm),
            ("closing_mm", self.closing_mm),
            ("roundness_mm", self.roundness_mm),
            ("caliper_mm", self.caliper_mm),
        ]
    }

    /// Checks every one.
    ///
    /// # Errors
    /// A fault at each that is negative or above 2 mm.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        for (field, value) in self.fields() {
            faults.keep(Self::SPREAD.check(field, value));
        }
        faults.into_result()
    }

    /// What counts for a ring wound on this rod, sawn or not: each source with its share, mm.
    ///
    /// ```
    /// use lorimant_core::tool::hand::HandSpread;
    /// use lorimant_core::tool::mandrel::Mandrel;
    ///
    /// let hand = HandSpread::default();
    /// let dowel = Mandrel { name: Some("dowel".into()), ..Mandrel::round(6.0) };
    /// // Wood gives: it adds a source of its own.
    /// assert_eq!(hand.sources(&dowel, true).len(), hand.sources(&Mandrel::round(6.0), true).len() + 1);
    /// ```
    pub fn sources(&self, rod: &Mandrel, sawn: bool) -> Vec<(HandSource, f64)> {
        let name = rod.name.as_deref().unwrap_or_default().to_lowercase();
        let wooden = WOODEN.iter().any(|wood| name.contains(wood));
        let mut sources = vec![(HandSource::Rod, self.rod_mm)];
        if wooden {
            sources.push((HandSource::Wood, self.wood_mm));
        }
        if rod.tape_layers > 0 {
            sources.push((HandSource::Tape, TAPE_SHARE * rod.taped_mm()));
        }
        sources.push((HandSource::CoilSlack, self.coil_slack_mm));
        if sawn {
            sources.push((HandSource::Kerf, self.kerf_mm));
        }
        sources.extend([
            (HandSource::Closing, self.closing_mm),
            (HandSource::Roundness, self.roundness_mm),
            (HandSource::Caliper, self.caliper_mm),
        ]);
        sources
    }

    /// A spread with all of that added in squares, mm: independent sources, one standard deviation each.
    ///
    /// ```
    /// use lorimant_core::tool::{hand::HandSpread, mandrel::Mandrel};
    ///
    /// let spread = HandSpread::default().with(0.0, &Mandrel::round(5.0), false);
    /// assert!((spread - (4.0 * 0.0004 + 0.0009_f64).sqrt()).abs() < 1e-12);
    /// ```
    pub fn with(&self, spread_mm: f64, rod: &Mandrel, sawn: bool) -> f64 {
        let squares: f64 = self.sources(rod, sawn).iter().map(|(_, mm)| mm * mm).sum();
        (spread_mm * spread_mm + squares).sqrt()
    }

    /// What a rod is off by itself, its tape included, mm: the same for all that is wound on it.
    ///
    /// ```
    /// use lorimant_core::tool::{hand::HandSpread, mandrel::Mandrel};
    ///
    /// assert_eq!(HandSpread::default().rod_spread(&Mandrel::round(5.0)), 0.02);
    /// ```
    pub fn rod_spread(&self, rod: &Mandrel) -> f64 {
        let of_rod = |(source, _): &&(HandSource, f64)| {
            matches!(source, HandSource::Rod | HandSource::Wood | HandSource::Tape)
        };
        let squares: f64 = self.sources(rod, false).iter().filter(of_rod).map(|(_, mm)| mm * mm).sum();
        squares.sqrt()
    }

    /// What one measured coil or ring is off by itself, mm: hugging; of a ring also its closing, and where it was sawn the
    /// kerf; roundness and caliper the less, the more readings are taken round it.
    ///
    /// ```
    /// use lorimant_core::tool::hand::HandSpread;
    ///
    /// let hand = HandSpread::default();
    /// assert!(hand.of_one(true, true, 1) > hand.of_one(false, false, 1));
    /// assert!(hand.of_one(false, false, 3) < hand.of_one(false, false, 1));
    /// ```
    pub fn of_one(&self, cut: bool, sawn: bool, readings_n: u32) -> f64 {
        let read = (self.roundness_mm.powi(2) + self.caliper_mm.powi(2)) / f64::from(readings_n.max(1));
        let mut squares = self.coil_slack_mm.powi(2) + read;
        if cut {
            squares += self.closing_mm.powi(2);
        }
        if cut && sawn {
            squares += self.kerf_mm.powi(2);
        }
        squares.sqrt()
    }
}
