//! Readings that cannot be, or hardly: a figure mistyped, another unit, another place of the piece. They are asked about
//! before they are kept, and kept only when the maker says that they are right.

use super::check::PieceCheck;
use super::dimension::{FoundWith, ToMeasure, teaches, to_measure};
use super::lot::{inside_with, shared_mm};
use super::measured::CaliperReading;
use crate::fault::{Fault, Faults};
use crate::pattern::measure::Measures;
use crate::tool::workshop::Workshop;
use crate::wire::lot::LotFactor;
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{LengthUnit, caliper};
use lorimant_text::text;

/// How many standard deviations from what is expected a reading is asked about.
const FAR: f64 = 5.0;
/// A hand can be off by so much of a formed dimension before its reading is asked about.
const FORMED: (f64, f64) = (0.55, 1.6);
/// Wire further off than this is another gauge.
const GAUGE: (f64, f64) = (0.8, 1.25);
/// A hand can be off by so much of any length, mm.
const SHORT_MM: f64 = 1.5;
/// What makes one figure out of another: a point misplaced, inches for millimetres.
const SLIPS: [f64; 6] = [0.1, 10.0, 1.0 / MM_PER_INCH, MM_PER_INCH, 0.01, 100.0];

/// What a dimension can measure at all, mm.
struct Possible {
    least_mm: f64,
    most_mm: f64,
}

impl Possible {
    fn holds(&self, mm: f64) -> bool {
        (self.least_mm..=self.most_mm).contains(&mm)
    }

    /// What was probably meant by a figure that is outside, mm.
    fn meant(&self, mm: f64) -> Option<f64> {
        SLIPS.iter().map(|times| mm * times).find(|mm| self.holds(*mm))
    }

    fn told(&self, what: &str, mm: f64, unit: LengthUnit) -> Fault {
        let shown = |mm: f64| caliper(mm, unit);
        let expected = text!(
            "doubt-should-measure-from-not",
            what,
            least_mm = shown(self.least_mm),
            most_mm = shown(self.most_mm),
            mm = shown(mm)
        );
        match self.meant(mm) {
            Some(meant) => {
                let asked = text!("doubt-did-you-mean", expected, meant = shown(meant));
                Fault::new("doubt", asked).suggest(meant)
            }
            None => Fault::new("doubt", text!("doubt-check-save-again-if-right", expected)),
        }
    }
}

impl PieceCheck {
    /// What is doubtful about a reading, before it is kept: a fault at `doubt`, with the measure that was probably meant, mm.
    ///
    /// # Errors
    /// That fault; the faults of its piece.
    pub fn doubt(&self, reading: &CaliperReading, workshop: &Workshop) -> Result<(), Faults> {
        let (list, _) = to_measure(&self.piece, self.of, workshop)?;
        let Some(one) = list.iter().find(|one| one.key == reading.key && one.found == FoundWith::Caliper)
        else {
            return Ok(());
        };
        match self.possible(one, workshop).filter(|possible| !possible.holds(reading.value)) {
            Some(possible) => Err(possible.told(&one.what, reading.value, workshop.habits.unit).into()),
            None => Ok(()),
        }
    }

    fn possible(&self, one: &ToMeasure, workshop: &Workshop) -> Option<Possible> {
        if let Some(inside) = self.possible_inside(one, workshop) {
            return Some(inside);
        }
        let around = |(least, most): (f64, f64)| Possible {
            least_mm: (least * one.wanted).min(one.wanted - SHORT_MM).max(0.0),
            most_mm: (most * one.wanted).max(one.wanted + SHORT_MM),
        };
        match one.kind? {
            Measures::Wire => {
                let (least, most) = GAUGE;
                Some(Possible { least_mm: least * one.wanted, most_mm: most * one.wanted })
            }
            Measures::Gap => {
                let most_mm = one.wanted + 2.0 * SHORT_MM + self.piece.wire().size_mm;
                Some(Possible { least_mm: 0.0, most_mm })
            }
            _ => Some(around(FORMED)),
        }
    }

    /// A wound piece let go is never smaller than its rod, nor larger than a far stronger metal would make it.
    fn possible_inside(&self, one: &ToMeasure, workshop: &Workshop) -> Option<Possible> {
        let of = teaches(&one.key)?;
        let wound = self.piece.wound()?;
        let lot = wound.wire.lot.map_or(LotFactor::unmeasured(1), |lot| workshop.lot(lot.lot_n));
        let at = |spreads: f64| inside_with(&wound, of, (lot.flow + spreads * lot.spread).max(0.3));
        let hand = workshop.hand.of_one(true, true, 1);
        let error_mm = shared_mm(&wound, of, &workshop.hand).hypot(hand);
        Some(Possible {
            least_mm: at(-FAR)? - FAR * error_mm,
            // A lot so strong that it would spring straight could measure anything: twice the usual is asked about.
            most_mm: at(FAR).map_or(2.0 * at(0.0)?, |mm| mm + FAR * error_mm),
        })
    }
}
