//! Movements: why the length of a lot changed, and by how much.

use serde::{Deserialize, Serialize};

use super::{LENGTH, both_ways};
use crate::fault::{Fault, Faults, check_text};
use crate::reading::field::{self, Amount};
use crate::wire::Wire;
use crate::words::length::Habits;
use crate::words::{quoted, words};
use lorimant_text::text;

words! {
    /// Why the length of a lot changed.
    pub enum MovementKind ("movement-kind") {
        /// Came in.
        Bought = "bought";
        /// Cut into blanks.
        Cut = "cut";
        /// Trimmed flush, or lost to the blade.
        Trimmed = "trimmed";
        /// Used up in a trial.
        Tried = "tried";
        /// Thrown to scrap.
        Scrapped = "scrapped";
        /// Found to be more or less than was thought; set apart as a lot of its own.
        Corrected = "corrected";
    }
}

impl MovementKind {
    /// Checks that a change of length goes the way its kind does.
    ///
    /// ```
    /// use lorimant_core::rack::stock::MovementKind;
    ///
    /// assert!(MovementKind::Cut.check(-120.0).is_ok());
    /// assert!(MovementKind::Cut.check(120.0).is_err(), "what is cut goes out");
    /// assert!(MovementKind::Corrected.check(120.0).is_ok());
    /// ```
    ///
    /// # Errors
    /// A fault at `length_mm`: bought wire comes in, everything else but a correction goes out.
    pub fn check(self, length_mm: f64) -> Result<(), Fault> {
        LENGTH.check("length_mm", length_mm.abs())?;
        match self {
            Self::Bought if length_mm < 0.0 => {
                Err(Fault::new("length_mm", text!("movement-bought-wire-adds-length-enter")))
            }
            Self::Cut | Self::Trimmed | Self::Tried | Self::Scrapped if length_mm > 0.0 => {
                Err(Fault::new("length_mm", text!("movement-wire-that-was-leaves-stock", self)))
            }
            _ => Ok(()),
        }
    }
}

/// A line of the ledger: why the length of a lot changes, by how much, and what for.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Movement {
    /// Why the amount changes: bought, cut, scrapped.
    pub kind: MovementKind,
    /// Change of length, mm; negative where wire goes out.
    pub length_mm: f64,
    /// What for, at most 200 characters.
    #[serde(default)]
    pub note: String,
}

impl Movement {
    /// Checks it.
    ///
    /// # Errors
    /// Faults at `length_mm` (no length, too long, the wrong way for its kind) and `note`.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.keep(self.kind.check(self.length_mm));
        faults.keep(check_text("note", text!("noun-note"), &self.note, 200));
        faults.into_result()
    }
}

impl Movement {
    /// Lines in an order in which none takes out more than there is: as they are, but what would overdraw waits until
    /// enough has come in. Where a line was taken back that others stood on, the rest can be in another order only.
    ///
    /// ```
    /// use lorimant_core::rack::stock::{Movement, MovementKind};
    ///
    /// let line = |kind, length_mm| Movement { kind, length_mm, note: String::new() };
    /// let (cut, bought) = (line(MovementKind::Cut, -80.0), line(MovementKind::Bought, 100.0));
    /// assert_eq!(Movement::covered(vec![cut.clone(), bought.clone()]), [bought, cut]);
    /// ```
    #[must_use]
    pub fn covered(lines: Vec<Self>) -> Vec<Self> {
        /// Half of what a ledger keeps lengths to, mm.
        const NOTHING_MM: f64 = 0.000_5;
        let (mut left, mut waiting, mut ordered) = (0.0, vec![], vec![]);
        for line in lines {
            waiting.push(line);
            // The oldest that can go, until none can.
            while let Some(at) = waiting.iter().position(|line: &Self| left + line.length_mm > -NOTHING_MM) {
                let line = waiting.remove(at);
                left += line.length_mm;
                ordered.push(line);
            }
        }
        ordered.extend(waiting);
        ordered
    }

    /// What a maker books, as typed: an amount by length or weight, whose way its kind says. Only a correction
    /// goes either way, and says which by its sign: `-120 mm`, `+2 g`.
    ///
    /// ```
    /// use lorimant_core::rack::stock::{Movement, MovementKind};
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::words::length::Habits;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let read = |kind, text| Movement::typed(kind, text, "", &wire, Habits::default());
    /// assert_eq!(read(MovementKind::Tried, "120 mm").unwrap().length_mm, -120.0);
    /// assert_eq!(read(MovementKind::Corrected, "+120 mm").unwrap().length_mm, 120.0);
    /// assert!(read(MovementKind::Bought, "-120 mm").is_err());
    /// ```
    ///
    /// # Errors
    /// A fault at `typed` where it cannot be read or has a sign its kind does not take; else as [`Self::check`].
    pub fn typed(
        kind: MovementKind,
        text: &str,
        note: &str,
        wire: &Wire,
        habits: Habits,
    ) -> Result<Self, Faults> {
        let text = text.trim();
        let (sign, amount) = match text.strip_prefix(['-', '−']) {
            Some(rest) => (-1.0, rest),
            None => (1.0, text.strip_prefix('+').unwrap_or(text)),
        };
        let fault = |message: String| Fault::new("typed", message);
        let way = match kind {
            MovementKind::Corrected => sign,
            _ if sign < 0.0 => {
                let message = text!("movement-wire-that-was-goes-one", kind, amount = quoted(amount));
                return Err(fault(message).into());
            }
            MovementKind::Bought => 1.0,
            _ => -1.0,
        };
        let (length_mm, mass_g) = match field::amount(amount, habits).map_err(fault)? {
            Amount::Length(mm) => (Some(mm), None),
            Amount::Mass(grams) => (None, Some(grams)),
        };
        let (mm, _) =
            both_ways(wire, length_mm, mass_g).map_err(|found| Fault { field: "typed".into(), ..found })?;
        let line = Self { kind, length_mm: way * (mm * 1e3).round() / 1e3, note: note.to_owned() };
        line.check().map(|()| line)
    }
}
