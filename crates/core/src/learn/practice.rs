//! Practice: drills for the hand, measured, told in what the hand can change.

use serde::Serialize;

use super::dimension::CheckedOf;
use super::measured::{count, deviation, mean};
use crate::pattern::PatternRequest;
use crate::piece::Piece;
use crate::ring::RingRequest;
use crate::tool::mandrel::Mandrel;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::metal::{Metal, Temper};
use crate::words::length::{LengthUnit, caliper, on_ruler};
use crate::words::words;

words! {
    /// A drill.
    pub enum Drill ("drill") {
        /// Ten loops rolled at one mark.
        Loops = "ten-loops", "ten loops at one mark";
        /// Ten hooks alike.
        Hooks = "ten-hooks", "ten equal hooks";
        /// A coil whose turns touch.
        Coil = "coil-without-gaps", "a coil without gaps";
    }
}

/// A drill as it is shown.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct DrillCard {
    /// Which.
    pub drill: Drill,
    /// Its name.
    pub name: String,
    /// What to do, in a few sentences.
    pub told: String,
    /// What is made, in copper first.
    pub piece: Piece,
    /// What of it is measured.
    pub of: CheckedOf,
    /// The dimension that is measured.
    pub key: &'static str,
    /// How many.
    pub pieces_n: u32,
    /// The spread to come under, mm, one standard deviation.
    pub target_mm: f64,
}

/// How a set of a drill went.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct DrillFeedback {
    /// One standard deviation of what was measured, mm.
    pub spread_mm: f64,
    /// Mean against what it should be, mm.
    pub off_mm: f64,
    /// Whether the target is met.
    pub met: bool,
    /// In the hand's own measure, in sentences.
    pub told: String,
}

impl Drill {
    /// The drill in this workshop, in copper.
    ///
    /// ```
    /// use lorimant_core::learn::dimension::to_measure;
    /// use lorimant_core::learn::practice::Drill;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// for drill in Drill::ALL {
    ///     let card = drill.card();
    ///     // What is to be measured can be.
    ///     let (list, _) = to_measure(&card.piece, card.of, &Workshop::default()).unwrap();
    ///     assert!(list.iter().any(|one| one.key == card.key), "{}", card.key);
    /// }
    /// ```
    #[must_use]
    pub fn card(self) -> DrillCard {
        let copper = Wire::round(Metal::Copper, 1.0, Temper::Soft);
        let finding = |kind: &str| {
            kind.parse().map_or_else(
                |_| Piece::Rings(RingRequest::new(copper.clone(), Mandrel::round(5.0), 10)),
                |kind| {
                    Piece::Finding(PatternRequest {
                        wire: copper.clone(),
                        pieces_n: 10,
                        ..PatternRequest::usual(kind)
                    })
                },
            )
        };
        let (told, piece, of, key, pieces_n, target_mm) = match self {
            Self::Loops => (
                "Draw one line round the jaw with a pen. Cut ten blanks to the first. Roll each loop at the \
                 line, its end level with the jaw, and relax your wrist between turns. Measure them in the \
                 order you made them.",
                finding("eye-pin"),
                CheckedOf::Piece,
                "loop_mm",
                10,
                0.08,
            ),
            Self::Hooks => (
                "Cut ten blanks to the first. Roll all the eyes, then bend all the hooks over the same \
                 step. Lay each on the drawing. Measure the overall length, in the order you made them.",
                finding("hook-clasp"),
                CheckedOf::Piece,
                "height",
                10,
                0.25,
            ),
            Self::Coil => (
                "Wind twenty turns by hand, each against the last, tight to the end. Hold it to the light: \
                 no gap should show. Let go, slide it off, and measure its inside at ten places.",
                Piece::Rings(RingRequest::new(copper.clone(), Mandrel::round(5.0), 20)),
                CheckedOf::Coil,
                "coil-inside",
                10,
                0.03,
            ),
        };
        DrillCard {
            drill: self,
            name: self.shown().to_owned(),
            told: told.to_owned(),
            piece,
            of,
            key,
            pieces_n,
            target_mm,
        }
    }

    /// How a set went: what was measured, what it should be, and how much a millimetre along the jaw changes it, where
    /// that is known.
    ///
    /// ```
    /// use lorimant_core::learn::practice::Drill;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let even = Drill::Loops.feedback(&[3.0, 3.05, 2.98, 3.02], 3.0, Some(0.14), LengthUnit::Mm).unwrap();
    /// assert!(even.met && even.told.contains("along the jaw"));
    /// assert_eq!(Drill::Loops.feedback(&[3.0], 3.0, None, LengthUnit::Mm), None);
    /// ```
    #[must_use]
    pub fn feedback(
        self,
        measured: &[f64],
        wanted: f64,
        slip: Option<f64>,
        unit: LengthUnit,
    ) -> Option<DrillFeedback> {
        let n = count(measured);
        if n < 2.0 {
            return None;
        }
        let (spread_mm, off_mm) = (deviation(measured), mean(measured) - wanted);
        let target_mm = self.card().target_mm;
        let met = spread_mm <= target_mm;
        let by = |mm: f64| caliper(mm.abs(), unit);
        let mut told = match self {
            Self::Loops => match slip.filter(|slip| *slip > 1e-6) {
                Some(slip) => {
                    format!("Your grip wanders {} along the jaw.", on_ruler(spread_mm / slip, unit))
                }
                None => format!("Your loops vary by {}.", by(spread_mm)),
            },
            Self::Hooks => format!("Your hooks differ by {} from one to the next.", by(spread_mm)),
            Self::Coil => format!(
                "The coil's inside varies by {} along it: that is how unevenly you held it.",
                by(spread_mm)
            ),
        };
        told.push_str(if met { " Even enough to move on to silver." } else { " " });
        if !met {
            told.push_str(&format!("Get below {}: ", by(target_mm)));
            told.push_str(match self {
                Self::Loops => {
                    "draw the line fresh, put the middle of the wire on it, and look before each \
                                roll."
                }
                Self::Hooks => "press the same mark into the same step, and bend to the same stop.",
                Self::Coil => {
                    "keep your thumb behind the turn you are winding, and don't stop with slack wire."
                }
            });
        }
        if off_mm.abs() > 2.0 * spread_mm / n.sqrt() && off_mm.abs() > 0.02 {
            let way = if off_mm > 0.0 { "larger" } else { "smaller" };
            told.push_str(&format!(
                " All of them are {} {way} than planned: move the mark, not your hand.",
                by(off_mm)
            ));
        }
        Some(DrillFeedback { spread_mm, off_mm, met, told })
    }
}

/// How a drill went over the weeks, in a sentence; nothing from one set alone.
///
/// ```
/// use lorimant_core::learn::practice::progress;
/// use lorimant_core::words::length::LengthUnit;
///
/// assert!(progress(&[0.16, 0.12, 0.08], LengthUnit::Mm).unwrap().contains("half"));
/// ```
#[must_use]
pub fn progress(spreads_mm: &[f64], unit: LengthUnit) -> Option<String> {
    let (first, last) = spreads_mm.first().zip(spreads_mm.last()).filter(|_| spreads_mm.len() > 1)?;
    let share = last / first.max(1e-9);
    let said = match share {
        share if share <= 0.55 => "half as uneven as at first, or better",
        share if share <= 0.85 => "more even than at first",
        share if share < 1.15 => "about as even as at first",
        _ => "less even than at first: rest your hands and try another day",
    };
    Some(format!(
        "{} sets, from {} to {}: {said}.",
        spreads_mm.len(),
        caliper(*first, unit),
        caliper(*last, unit)
    ))
}

impl DrillCard {
    /// How much a millimetre along the jaw changes what is measured, in this workshop's pliers; nothing where no tapered
    /// jaw is used.
    #[must_use]
    pub fn slip(&self, workshop: &Workshop) -> Option<f64> {
        let Piece::Finding(request) = &self.piece else { return None };
        let made = super::dimension::made_of(request, workshop).ok()?;
        made.steps.iter().find_map(|step| step.numbers.slip_mm.filter(|slip| *slip > 1e-6))
    }
}
