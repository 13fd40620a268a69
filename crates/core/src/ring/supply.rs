//! How many rings a given length or mass of wire makes.

use serde::{Deserialize, Serialize};

use super::{MOST_RINGS, RingRequest};
use crate::fault::{Fault, Faults, Span};
use crate::tool::coil::Coil;
use crate::words::length::{self, Habits, LengthUnit, of_wire, said};
use crate::words::{mass, quoted};

/// What there is of a wire: a length or a mass, not both.
#[derive(Debug, Clone, Copy, PartialEq, Default, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Supply {
    /// Length of wire, mm.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub wire_length_mm: Option<f64>,
    /// Mass of wire, grams.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub wire_mass_g: Option<f64>,
}

/// How many rings a supply makes.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct HowMany {
    /// Rings it makes.
    pub rings_n: u32,
    /// The length there is, mm.
    pub wire_length_mm: f64,
    /// What those rings use of it, tails and losses included, mm.
    pub used_mm: f64,
    /// What is left over, mm.
    pub left_mm: f64,
    /// The answer as a sentence.
    pub sentence: String,
}

impl Supply {
    const LENGTH: Span = Span { noun: "length of wire", unit: " mm", least: 1.0, most: 1e8 };
    const MASS: Span = Span { noun: "mass of wire", unit: " g", least: 0.001, most: 1e7 };

    /// Reads a supply as people say it: `3 m`, `10 ft`, `50 g`, `2 oz`.
    ///
    /// # Errors
    /// A fault at `typed` when it is neither a length nor a mass.
    pub fn read(text: &str, habits: Habits) -> Result<Self, Fault> {
        if let Some(grams) = mass::read(text) {
            return Ok(Self { wire_length_mm: None, wire_mass_g: Some(grams) });
        }
        let reading = length::read(text, habits).map_err(|_| {
            let said = format!("{} is neither a length nor a weight. Try 3 m, 10 ft or 50 g.", quoted(text));
            Fault::new("typed", said)
        })?;
        Ok(Self { wire_length_mm: Some(reading.mm), wire_mass_g: None })
    }

    /// Its length in mm, as this wire.
    ///
    /// # Errors
    /// A fault when neither or both are given, or the one given is out of its limits.
    pub fn length_mm(&self, wire: &crate::wire::Wire) -> Result<f64, Fault> {
        match (self.wire_length_mm, self.wire_mass_g) {
            (Some(length), None) => Self::LENGTH.check("wire_length_mm", length),
            (None, Some(mass)) => Self::MASS.check("wire_mass_g", mass).map(|g| wire.length_of_mm(g)),
            (None, None) => {
                let said = "Say how much wire there is: its length in mm or its mass in g.";
                Err(Fault::new("wire_length_mm", said))
            }
            (Some(_), Some(_)) => {
                let said = "Give the wire's length or its mass, not both.";
                Err(Fault::new("wire_mass_g", said))
            }
        }
    }

    /// How many rings of the request this supply makes; the request's own count is not read.
    ///
    /// # Errors
    /// Faults of the request as in [`RingRequest::plan`], or of the supply.
    pub fn makes(&self, request: &RingRequest, unit: LengthUnit) -> Result<HowMany, Faults> {
        let one = RingRequest { rings_n: 1, ..request.clone() };
        one.plan()?;
        let there = self.length_mm(&request.wire)?;
        let coil = Coil::wind(&request.wire, &request.mandrel)?;
        let layout = request.layout(&coil, request.cutting.taken(request.wire.size_mm))?;
        let turn = coil.relaxed_turn_mm();
        let ring = layout.turns_per_ring * turn;
        let per_coil = request.ends.ragged_turns * turn + request.ends.anchor_mm + request.ends.finish_mm;
        let most = f64::from(layout.rings_per_coil.unwrap_or(MOST_RINGS));
        let full = per_coil + most * ring;
        let full_coils = (there / full + 1e-12).floor();
        let rest = there - full_coils * full;
        let in_last = ((rest - per_coil) / ring + 1e-9).floor().clamp(0.0, most);
        let rings = (full_coils * most + in_last).min(f64::from(MOST_RINGS));
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "clamped above")]
        let rings_n = rings as u32;
        let used_mm = match rings_n {
            0 => 0.0,
            n => RingRequest { rings_n: n, ..request.clone() }.plan()?.wire_length_mm,
        };
        let left_mm = (there - used_mm).max(0.0);
        let sentence = match rings_n {
            0 => format!(
                "{} is not enough for one ring with its tails: that takes {}.",
                of_wire(there, unit),
                said(per_coil + ring, unit)
            ),
            n => {
                let rings = if n == 1 { "ring" } else { "rings" };
                format!("{} makes {n} {rings} and leaves {}.", of_wire(there, unit), said(left_mm, unit))
            }
        };
        Ok(HowMany { rings_n, wire_length_mm: there, used_mm, left_mm, sentence })
    }
}
