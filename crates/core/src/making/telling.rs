//! Instructions in words: places, tools, angles, turns.

use super::place::{Bent, With};
use super::run::{From, Numbers, Turn};
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{LengthUnit, caliper, on_ruler, shown};

/// Bends that start this near an end are rolled with the end level with the jaw, mm.
pub(crate) const LEVEL_MM: f64 = 0.25;

/// A pattern's own hint, where it has one.
pub(super) fn hinted(hint: &str) -> Vec<String> {
    if hint.is_empty() { vec![] } else { vec![hint.to_owned()] }
}

/// What is formed, with its article: `the loop`, `both curls`.
pub(crate) fn the(what: &str) -> String {
    if what.starts_with("both ") { what.to_owned() } else { format!("the {what}") }
}

/// A place on the wire: `12.5 mm from the left end`, `from the right end` where that is level with the jaw.
pub(super) fn place(numbers: &Numbers, unit: LengthUnit) -> String {
    let at = numbers.at_mm.unwrap_or(0.0);
    let end = match (numbers.from.unwrap_or(From::NearEnd), numbers.doubled) {
        (From::Parted, _) => "the parted end",
        (From::Fold, _) => "the fold",
        (_, true) => "their own ends",
        (From::FarEnd, _) => "the right end",
        _ => "the left end",
    };
    if at < LEVEL_MM {
        format!("from {end}, its face level with the jaw,")
    } else {
        format!("{} from {end}", on_ruler(at, unit))
    }
}

/// The number of turns that hands count: whole ones and halves; less than a turn by quarters.
pub(crate) fn counted_turns(turns: f64) -> f64 {
    let parts = if turns < 1.0 { 4.0 } else { 2.0 };
    ((turns * parts).round() / parts).max(0.25)
}

/// A number of turns as an instruction says it.
pub(crate) fn turned(turns: f64) -> String {
    let text = shown(counted_turns(turns), 2);
    if text == "1" { "1 turn".to_owned() } else { format!("{text} turns") }
}

/// A tool in its place as words: `on the fine jaw, 6.4 mm from the tip`.
pub(super) fn held(bent: &Bent, unit: LengthUnit) -> String {
    let place = &bent.place;
    let size = place.diameter_mm.map(|d| caliper(d, unit));
    match (place.with, place.jaw_mm, size) {
        (With::Jaw, Some(at), Some(size)) => {
            format!("on the {}, {} from the tip (Ø {size})", place.tool, on_ruler(at, unit))
        }
        (With::Jaw, None, Some(size)) => format!("on the {}'s {size} step", place.tool),
        (With::Rod, ..) => format!("over the {}", place.tool),
        (With::FlatNose, ..) => "with flat-nose pliers".to_owned(),
        (With::Taper, ..) => "on the taper".to_owned(),
        (With::OwnStem, ..) => format!("round {}", place.tool),
        _ => format!("with {}", place.tool),
    }
}

/// How far a bend goes, and where it comes back to: `go to 95°, it comes back to 90°`.
pub(super) fn over(numbers: &Numbers) -> String {
    let (to, left) = (numbers.angle_to_deg.unwrap_or(0.0), numbers.angle_left_deg.unwrap_or(0.0));
    let (to, left) = (shown(to, 0), shown(left, 0));
    if to == left { format!("to {left}°") } else { format!("go to {to}°, it comes back to {left}°") }
}

/// Which way: `to the left`; towards or away from the eye where it leaves the plane of the piece.
pub(super) fn which_way(numbers: &Numbers) -> String {
    match (numbers.turn, numbers.plane_deg) {
        (Some(Turn::Left), _) => "to the left".to_owned(),
        (Some(Turn::Right), _) => "to the right".to_owned(),
        (None, Some(plane)) if plane.to_radians().sin() > 0.5 => "up, towards your eye".to_owned(),
        (None, Some(plane)) if plane.to_radians().sin() < -0.5 => "down, away from your eye".to_owned(),
        _ => String::new(),
    }
}

/// What slipping along a tapered jaw does, for a slip that an eye sees.
pub(super) fn slipped(slip: f64, unit: LengthUnit) -> String {
    let far = match unit {
        LengthUnit::Mm => 1.0,
        LengthUnit::Inch => MM_PER_INCH / 32.0,
    };
    format!("{} of slip along the jaw changes it by {}.", on_ruler(far, unit), caliper(far * slip, unit))
}
