//! Jaw marks: a tapered jaw calibrated by loops rolled on it, and wear or a slipping mark found from later ones.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use super::check::PieceCheck;
use super::dimension::{made_of, rolled_by};
use super::measured::{CaliperReading, ReadAtPlace, count, counting, deviation, mean};
use crate::fault::{Fault, Faults, Span};
use crate::piece::Piece;
use crate::tool::coil::outline_for;
use crate::tool::outline::Outline;
use crate::tool::plier::{Jaws, MeasuredPlace, Plier};
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::bending::Bending;
use crate::words::length::{LengthUnit, caliper, on_ruler};
use lorimant_text::{Text, text};

/// A loop rolled at a place of a jaw, measured after it was let go.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct RolledLoop {
    /// Where the wire's middle lay on the jaw, from its tip, mm.
    pub at_mm: f64,
    /// Inside of the loop, mm.
    pub inside_mm: f64,
    /// The wire.
    pub wire: Wire,
}

/// What later loops say of a mark.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct JawWear {
    /// How far up the jaw, towards its base, wire really lies of where it is thought to, mm: the mean of the loops.
    pub off_mm: f64,
    /// How far the loops differ from each other, as places on the jaw, mm.
    pub spread_mm: f64,
    /// In a sentence, with what to do.
    pub text: String,
}

/// The diameter of the jaw that leaves this loop: what springback opens is taken off, mm.
///
/// # Errors
/// A fault at the loop's inside where no jaw leaves such a loop in this wire.
fn jaw_mm(rolled: &RolledLoop) -> Result<f64, Fault> {
    const INSIDE: Span = Span { noun: Text::named("jaw-inside-loop"), unit: " mm", least: 0.3, most: 60.0 };
    const PLACE: Span = Span { noun: Text::named("jaw-place-on-jaw"), unit: " mm", least: 0.0, most: 120.0 };
    rolled.wire.check().map_err(|fault| fault.within("wire"))?;
    PLACE.check("at_mm", rolled.at_mm)?;
    INSIDE.check("inside_mm", rolled.inside_mm)?;
    let tool = outline_for(&Bending::of(&rolled.wire), Outline::Round { diameter: rolled.inside_mm });
    tool.map(Outline::across)
        .ok_or_else(|| Fault::new("inside_mm", text!("jaw-this-wire-springs-straight-before")))
}

/// A round-nose plier calibrated by two loops: the jaw at both places.
///
/// ```
/// use lorimant_core::learn::jaw::{RolledLoop, calibrated};
/// use lorimant_core::tool::plier::Plier;
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
///
/// let plier: Plier = serde_json::from_str(r#"{"name": "slim", "jaws": "round-nose", "tip_mm": 1.5, "base_mm": 5, "length_mm": 25}"#).unwrap();
/// let wire = Wire::round(Metal::Copper, 0.8, Temper::Soft);
/// let rolled = |at_mm, inside_mm| RolledLoop { at_mm, inside_mm, wire: wire.clone() };
/// let by_loops = calibrated(&plier, &rolled(5.0, 2.3), &rolled(20.0, 4.5)).unwrap();
/// // The loop sprang open: the jaw is a little thinner than it.
/// assert!(by_loops.measured[0].diameter_mm < 2.3);
/// ```
///
/// # Errors
/// Faults of the loops; a fault where the jaw is not tapered, or the two loops contradict each other.
pub fn calibrated(plier: &Plier, near_tip: &RolledLoop, near_base: &RolledLoop) -> Result<Plier, Faults> {
    if plier.jaws != Jaws::RoundNose {
        let message = text!("jaw-only-tapered-jaws-calibrated-with");
        return Err(Fault::new("jaws", message).into());
    }
    let mut faults = Faults::none();
    let tip = faults.keep(jaw_mm(near_tip).map_err(|fault| fault.within("near_tip")));
    let base = faults.keep(jaw_mm(near_base).map_err(|fault| fault.within("near_base")));
    let (Some(tip), Some(base)) = (tip, base) else { return Err(faults) };
    let place = |rolled: &RolledLoop, diameter_mm: f64| MeasuredPlace {
        at_mm: rolled.at_mm,
        diameter_mm: (diameter_mm * 1000.0).round() / 1000.0,
    };
    let plier = Plier {
        tip_mm: None,
        base_mm: None,
        measured: vec![place(near_tip, tip), place(near_base, base)],
        ..plier.clone()
    };
    plier.check()?;
    Ok(plier)
}

/// Fewer loops than these say little of a mark; older ones than these are forgotten.
const LEAST_LOOPS: u32 = 3;
const MOST_LOOPS: usize = 40;

/// A place that moved less than this cannot be told from the hand's own unevenness, mm.
const LEAST_MM: f64 = 0.2;

/// What loops rolled at a mark say of it: whether it slipped or wore, and by how much along the jaw.
///
/// # Errors
/// Faults of the loops; a fault where there are none, or the jaw is not tapered.
pub fn wear(plier: &Plier, loops: &[RolledLoop], unit: LengthUnit) -> Result<JawWear, Faults> {
    let place_of = |at_mm: f64| plier.diameter_at(at_mm);
    let taper = place_of(1.0).zip(place_of(0.0)).map(|(b, a)| b - a).filter(|taper| *taper > 1e-4);
    let Some(taper) = taper else {
        let message = text!("jaw-jaw-not-tapered-slipping-along");
        return Err(Fault::new("plier", message).into());
    };
    if loops.is_empty() {
        return Err(Fault::new("loops", text!("jaw-measure-at-least-one-loop")).into());
    }
    let mut offs = vec![];
    for (i, rolled) in loops.iter().enumerate() {
        let jaw = jaw_mm(rolled).map_err(|fault| fault.within(&format!("loops[{i}]")))?;
        offs.push((jaw - place_of(rolled.at_mm).unwrap_or(jaw)) / taper);
    }
    Ok(JawWear::of(&offs, taper, unit))
}

impl JawWear {
    /// What loops say that lie so far up the jaw of where they were meant to, mm, where a loop changes by `taper` for each
    /// millimetre.
    fn of(offs: &[f64], taper: f64, unit: LengthUnit) -> Self {
        let (off_mm, spread_mm) = (mean(offs), deviation(offs));
        let sure = LEAST_MM.max(2.0 * spread_mm / count(offs).sqrt());
        let text = match off_mm {
            off if off.abs() < sure => text!("jaw-as-far-as-these-loops").to_owned(),
            off => {
                let (way, back) = if off > 0.0 {
                    (text!("jaw-towards-base"), "tip")
                } else {
                    (text!("jaw-towards-tip"), "base")
                };
                text!(
                    "jaw-wire-really-sits-mark-slipped",
                    off = on_ruler(off.abs(), unit),
                    way,
                    back,
                    taper = caliper(taper, unit)
                )
            }
        };
        Self { off_mm, spread_mm, text }
    }
}

/// A loop of a measured piece, as a place on the jaw it was rolled on.
#[derive(Debug, Clone, PartialEq)]
pub struct LoopSeen {
    /// The pliers, by their name.
    pub plier: String,
    /// How far up the jaw, towards its base, wire really lay of where the plan says, mm.
    pub off_mm: f64,
    /// How much a loop changes there for each millimetre, mm.
    pub taper: f64,
    /// When it was measured, UTC.
    pub at: String,
}

impl PieceCheck {
    /// The loops that were measured of its pieces, each rolled on a tapered jaw where the plan says. Trials say nothing of
    /// a mark: the next one's is moved on purpose.
    ///
    /// # Errors
    /// The faults of its piece.
    pub fn loops_seen(
        &self,
        readings: &[CaliperReading],
        workshop: &Workshop,
    ) -> Result<Vec<LoopSeen>, Faults> {
        let (Piece::Finding(request), None) = (&self.piece, self.trial) else { return Ok(vec![]) };
        let rolled = request.form()?.measures();
        let made = made_of(request, workshop)?;
        let seen = rolled.iter().filter_map(|measure| {
            let step = rolled_by(&made, measure)?;
            Some((measure, step.numbers.tool.clone()?, step.numbers.slip_mm.filter(|slip| *slip > 1e-6)?))
        });
        let pieces = counting(readings, &workshop.hand);
        let loops = seen.flat_map(|(measure, plier, taper)| {
            let of_piece = |(piece_n, by_key): (&u32, &BTreeMap<&str, ReadAtPlace>)| {
                let off_mm = (by_key.get(measure.key.as_str())?.value() - measure.mm) / taper;
                let counts = |one: &&CaliperReading| {
                    !one.excluded && one.piece_n == *piece_n && one.key == measure.key
                };
                let read = readings.iter().filter(counts);
                let at = read.map(|one| one.at.clone()).max()?;
                Some(LoopSeen { plier: plier.clone(), off_mm, taper, at })
            };
            pieces.iter().filter_map(of_piece).collect::<Vec<_>>()
        });
        Ok(loops.collect())
    }
}

/// What the last loops rolled on pliers say of its marks; nothing where too few were measured. Only what came since the
/// pliers were measured themselves tells of the marks they have now.
#[must_use]
pub fn seen_on(plier: &Plier, since: &str, loops: &[LoopSeen], unit: LengthUnit) -> Option<SeenOn> {
    let own = loops.iter().filter(|one| one.plier == plier.shown() && one.at.as_str() >= since).rev();
    let (offs, tapers): (Vec<f64>, Vec<f64>) =
        own.take(MOST_LOOPS).map(|one| (one.off_mm, one.taper)).unzip();
    let loops_n = u32::try_from(offs.len()).unwrap_or(u32::MAX);
    (loops_n >= LEAST_LOOPS).then(|| SeenOn { loops_n, wear: JawWear::of(&offs, mean(&tapers), unit) })
}

/// What measured pieces say of pliers.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct SeenOn {
    /// How many of their loops say so.
    pub loops_n: u32,
    /// What they say.
    #[serde(flatten)]
    pub wear: JawWear,
}
