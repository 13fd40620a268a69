//! Instructions in words: places, tools, angles, turns.

use super::operation::Operation;
use super::place::{Bent, With};
use super::run::{From, Numbers, Turn};
use crate::words::capital;
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

/// A place on the wire: `12.5 mm from the left end`, `Right end level with the jaw`.
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
        let end = end.trim_start_matches("the ");
        format!("{} level with the jaw", capital(end))
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

/// A tool in its place as words: `on the fine jaw, 6.5 mm from the tip`.
pub(super) fn held(bent: &Bent, unit: LengthUnit) -> String {
    let place = &bent.place;
    let size = place.diameter_mm.map(|d| caliper(d, unit));
    match (place.with, place.jaw_mm, size) {
        (With::Jaw, Some(at), _) => {
            format!("on the {}, {} from the tip", place.tool, on_ruler(at, unit))
        }
        (With::Jaw, None, Some(size)) => format!("on the {}'s {size} step", place.tool),
        (With::Rod, ..) => format!("over the {}", place.tool),
        (With::FlatNose, ..) => "with flat-nose pliers".to_owned(),
        (With::Taper, ..) => "on the taper".to_owned(),
        (With::OwnStem, ..) => format!("round {}", place.tool),
        _ => format!("with {}", place.tool),
    }
}

/// How near an eye tells a square corner, or two parallel sides, from one that is not, degrees.
const EYE_DEG: f64 = 5.0;

/// How far to bend, as an eye sees it: `until it is square`, `until the end meets the wire`. Hands read no degrees, so an
/// angle that has no name of its own, within [`EYE_DEG`], is bent to the drawing; the angle itself is among the numbers.
pub(super) fn until(operation: Operation, numbers: &Numbers) -> &'static str {
    let left = numbers.angle_left_deg.unwrap_or(0.0);
    let is = |deg: f64| (left - deg).abs() <= EYE_DEG;
    match left {
        _ if operation == Operation::Loop && left > CLOSES_DEG => "until the end meets the wire",
        _ if is(360.0) => "until its ends meet",
        _ if is(30.0) => "until it is a third of the way to square",
        _ if is(45.0) => "until it is half-way to square",
        _ if is(60.0) => "until it is two thirds of the way to square",
        _ if is(90.0) => "until it is square",
        _ if is(120.0) => "until it is a third past square",
        _ if is(135.0) => "until it is half-way from square to straight back",
        _ if is(180.0) => "until both sides are parallel",
        _ if left < 45.0 => "a little, as drawn",
        _ if left < 90.0 => "until it is short of square, as drawn",
        _ if left < 180.0 => "past square, as drawn",
        _ => "past parallel, as drawn",
    }
}

/// What to expect where a bend springs back so far that an eye sees it.
pub(super) fn springs(numbers: &Numbers) -> Option<&'static str> {
    let (to, left) = (numbers.angle_to_deg?, numbers.angle_left_deg?);
    match to - left {
        more if more > 12.0 => Some("It springs back a lot: go well past, then let go."),
        more if more > 2.5 => Some("It springs back a little: go just past, then let go."),
        _ => None,
    }
}

/// Bends beyond this angle close by themselves and are rolled until they do, degrees.
pub(crate) const CLOSES_DEG: f64 = 240.0;

/// Which way: `to the left`; towards or away from the eye where it leaves the plane of the piece.
pub(super) fn which_way(numbers: &Numbers) -> String {
    match (numbers.turn, numbers.plane_deg) {
        (Some(Turn::Left), _) => "to the left".to_owned(),
        (Some(Turn::Right), _) => "to the right".to_owned(),
        (None, Some(plane)) if plane.to_radians().sin() > 0.5 => "up, towards you".to_owned(),
        (None, Some(plane)) if plane.to_radians().sin() < -0.5 => "down, away from you".to_owned(),
        _ => String::new(),
    }
}

/// What slipping along a tapered jaw does, for a slip that an eye sees.
pub(super) fn slipped(slip: f64, unit: LengthUnit) -> String {
    let far = match unit {
        LengthUnit::Mm => 1.0,
        LengthUnit::Inch => MM_PER_INCH / 32.0,
    };
    format!(
        "Slipping {} along the jaw changes the size by {}.",
        on_ruler(far, unit),
        caliper(far * slip, unit)
    )
}
