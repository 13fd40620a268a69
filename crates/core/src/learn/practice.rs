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
use lorimant_text::text;

words! {
    /// A drill.
    pub enum Drill ("drill") {
        /// Ten loops rolled at one mark.
        Loops = "ten-loops";
        /// Ten hooks alike.
        Hooks = "ten-hooks";
        /// A coil whose turns touch.
        Coil = "coil-without-gaps";
    }
}

/// A drill as it is shown.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct DrillCard {
    /// The drill.
    pub drill: Drill,
    /// Its name.
    pub name: String,
    /// What to do, in a few sentences.
    pub text: String,
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
    pub target_met: bool,
    /// In the hand's own measure, in sentences.
    pub text: String,
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
                text!("practice-draw-one-line-round-jaw"),
                finding("eye-pin"),
                CheckedOf::Piece,
                "loop_mm",
                10,
                0.08,
            ),
            Self::Hooks => (
                text!("practice-cut-ten-blanks-first-roll"),
                finding("hook-clasp"),
                CheckedOf::Piece,
                "height",
                10,
                0.25,
            ),
            Self::Coil => (
                text!("practice-wind-twenty-turns-by-hand"),
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
            text: told.to_owned(),
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
    /// assert!(even.target_met && even.text.contains("along the jaw"));
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
        let target_met = spread_mm <= target_mm;
        let by = |mm: f64| caliper(mm.abs(), unit);
        let mut text = match self {
            Self::Loops => match slip.filter(|slip| *slip > 1e-6) {
                Some(slip) => {
                    text!(
                        "practice-your-grip-wanders-along-jaw",
                        spread_mm = on_ruler(spread_mm / slip, unit)
                    )
                }
                None => text!("practice-your-loops-vary-by", spread_mm = by(spread_mm)),
            },
            Self::Hooks => text!("practice-your-hooks-differ-by-from", spread_mm = by(spread_mm)),
            Self::Coil => text!("practice-coils-inside-varies-by-along", spread_mm = by(spread_mm)),
        };
        text.push_str(if target_met { text!("practice-even-enough-move-on-silver") } else { " " });
        if !target_met {
            text.push_str(&text!("practice-get-below", target_mm = by(target_mm)));
            text.push_str(match self {
                Self::Loops => {
                    text!("practice-draw-line-fresh-put-middle")
                }
                Self::Hooks => text!("practice-press-same-mark-into-same"),
                Self::Coil => {
                    text!("practice-keep-your-thumb-behind-turn")
                }
            });
        }
        if off_mm.abs() > 2.0 * spread_mm / n.sqrt() && off_mm.abs() > 0.02 {
            text.push_str(&text!(
                "practice-all-them-than-planned-move",
                off_mm = by(off_mm),
                larger = off_mm > 0.0
            ));
        }
        Some(DrillFeedback { spread_mm, off_mm, target_met, text })
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
    let progress = match share {
        share if share <= 0.55 => text!("practice-half-as-uneven-as-at"),
        share if share <= 0.85 => text!("practice-more-even-than-at-first"),
        share if share < 1.15 => text!("practice-about-as-even-as-at"),
        _ => text!("practice-less-even-than-at-first"),
    };
    Some(text!(
        "practice-sets-from",
        spreads_mm = spreads_mm.len(),
        first = caliper(*first, unit),
        last = caliper(*last, unit),
        progress
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
