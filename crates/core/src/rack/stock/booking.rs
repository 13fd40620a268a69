//! What confirming a cut plan takes off the rack.

use serde::{Deserialize, Serialize};

use super::{Movement, MovementKind};
use crate::fault::{Fault, Faults, Span};
use crate::words::length::shown;

/// Blanks of one length cut from a lot.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct BlanksCut {
    /// What they are for, at most 120 characters.
    pub what: String,
    /// Length of one, mm.
    pub length_mm: f64,
    /// How many.
    pub n: u32,
}

/// What was cut from one lot.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct LotCut {
    /// The lot's number.
    pub lot: i64,
    /// The blanks.
    pub cuts: Vec<BlanksCut>,
    /// Taken off its end to make it flush, mm.
    #[serde(default)]
    pub trim_mm: f64,
    /// Taken by each blank's cut, mm.
    #[serde(default)]
    pub kerf_mm: f64,
    /// A rest shorter than this goes to scrap, mm.
    #[serde(default)]
    pub shortest_useful_mm: f64,
}

impl LotCut {
    const BLANK: Span = Span { noun: "blank", unit: " mm", least: 0.5, most: 1_000_000.0 };
    const LOSS: Span = Span { noun: "loss", unit: " mm", least: 0.0, most: 100.0 };
    const USEFUL: Span = Span { noun: "shortest useful length", unit: " mm", least: 0.0, most: 100_000.0 };

    /// The ledger lines of the cut, given what was left of the lot, mm: blanks, trims, and a rest too
    /// short to use. They never take more than there was.
    ///
    /// # Errors
    /// Faults for lengths out of limits; and one that says how much is missing where the lot does not
    /// hold the blanks.
    pub fn lines(&self, left_mm: f64) -> Result<Vec<Movement>, Faults> {
        let mut faults = Faults::none();
        for (i, cut) in self.cuts.iter().enumerate() {
            faults.keep(Self::BLANK.check(&format!("cuts[{i}].length_mm"), cut.length_mm));
            if cut.n == 0 || cut.n > 100_000 {
                let said = format!("{} blanks cannot be booked; give 1 to 100 000.", cut.n);
                faults.add(Fault::new(format!("cuts[{i}].n"), said).limit(100_000.0));
            }
            if cut.what.chars().count() > 120 {
                let said = "What the blanks are for is too long; at most 120 characters.";
                faults.add(Fault::new(format!("cuts[{i}].what"), said).limit(120.0));
            }
        }
        if self.cuts.is_empty() {
            faults.add(Fault::new("cuts", "Nothing is cut from this lot: leave it out."));
        }
        faults.keep(Self::LOSS.check("trim_mm", self.trim_mm));
        faults.keep(Self::LOSS.check("kerf_mm", self.kerf_mm));
        faults.keep(Self::USEFUL.check("shortest_useful_mm", self.shortest_useful_mm));
        if !faults.is_empty() {
            return Err(faults);
        }
        let blanks: f64 = self.cuts.iter().map(|cut| f64::from(cut.n) * cut.length_mm).sum();
        let cuts: f64 = self.cuts.iter().map(|cut| f64::from(cut.n)).sum();
        let trimmed = self.trim_mm + cuts * self.kerf_mm;
        let rest = left_mm - blanks - trimmed;
        if rest < -LEAST_MM {
            let said = format!(
                "These blanks take {} mm with their trims, and {} mm are left of the lot: {} mm are missing.",
                shown(blanks + trimmed, 1),
                shown(left_mm, 1),
                shown(-rest, 1)
            );
            return Err(Fault::new("cuts", said).limit(left_mm).into());
        }
        let mut lines: Vec<Movement> = self
            .cuts
            .iter()
            .map(|cut| Movement {
                kind: MovementKind::Cut,
                length_mm: -f64::from(cut.n) * cut.length_mm,
                note: format!("{} at {} mm: {}", cut.n, shown(cut.length_mm, 2), cut.what),
            })
            .collect();
        let mut out = |kind, length_mm: f64, note: &str| {
            if length_mm >= LEAST_MM {
                lines.push(Movement { kind, length_mm: -length_mm, note: note.to_owned() });
            }
        };
        out(MovementKind::Trimmed, trimmed.min(left_mm - blanks), "ends made flush, kerfs");
        if rest < self.shortest_useful_mm {
            out(MovementKind::Scrapped, rest, "rest too short to use");
        }
        Ok(lines)
    }
}

/// The ledger counts in thousandths of a millimetre: less is nothing.
pub const LEAST_MM: f64 = 0.001;
