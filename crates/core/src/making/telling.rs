//! Instructions in words: places, tools, angles, turns.

use super::operation::Operation;
use super::place::{Bent, With};
use super::run::{From, Numbers, Turn};
use crate::words::capital;
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{LengthUnit, caliper, on_ruler, shown};
use lorimant_text::text;

/// Bends that start this near an end are rolled with the end level with the jaw, mm.
pub(crate) const LEVEL_MM: f64 = 0.25;

/// A pattern's own hint, where it has one.
pub(super) fn hinted(hint: &str) -> Vec<String> {
    if hint.is_empty() { vec![] } else { vec![hint.to_owned()] }
}

/// What is formed, with its article: `the loop`, `both curls`.
pub(crate) fn the(what: &str) -> String {
    if what.starts_with("both ") { what.to_owned() } else { text!("telling-the", what) }
}

/// A place on the wire: `12.5 mm from the left end`, `Right end level with the jaw`.
pub(super) fn place(numbers: &Numbers, unit: LengthUnit) -> String {
    let at = numbers.at_mm.unwrap_or(0.0);
    let end = match (numbers.from.unwrap_or(From::NearEnd), numbers.doubled) {
        (From::Parted, _) => text!("telling-parted-end"),
        (From::Fold, _) => text!("telling-fold"),
        (_, true) => text!("telling-their-own-ends"),
        (From::FarEnd, _) => text!("telling-right-end"),
        _ => text!("telling-left-end"),
    };
    if at < LEVEL_MM {
        let end = end.trim_start_matches("the ");
        text!("telling-level-with-jaw", end = capital(end))
    } else {
        text!("telling-from", at = on_ruler(at, unit), end)
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
    if text == "1" { text!("telling-1-turn").to_owned() } else { text!("telling-turns", text) }
}

/// A tool in its place as words: `on the fine jaw, 6.5 mm from the tip`.
pub(super) fn held(bent: &Bent, unit: LengthUnit) -> String {
    let place = &bent.place;
    let size = place.diameter_mm.map(|d| caliper(d, unit));
    match (place.with, place.jaw_mm, size) {
        (With::Jaw, Some(at), _) => {
            text!("telling-on-from-tip", tool = place.tool, at = on_ruler(at, unit))
        }
        (With::Jaw, None, Some(size)) => text!("telling-on-s-step", tool = place.tool, size),
        (With::Rod, ..) => text!("telling-over", tool = place.tool),
        (With::FlatNose, ..) => text!("telling-with-flat-nose-pliers").to_owned(),
        (With::Taper, ..) => text!("telling-on-taper").to_owned(),
        (With::OwnStem, ..) => text!("telling-round", tool = place.tool),
        _ => text!("telling-with", tool = place.tool),
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
        _ if operation == Operation::Loop && left > CLOSES_DEG => text!("telling-until-end-meets-wire"),
        _ if is(360.0) => text!("telling-until-its-ends-meet"),
        _ if is(30.0) => text!("telling-until-third-way-square"),
        _ if is(45.0) => text!("telling-until-half-way-square"),
        _ if is(60.0) => text!("telling-until-two-thirds-way-square"),
        _ if is(90.0) => text!("telling-until-square"),
        _ if is(120.0) => text!("telling-until-third-past-square"),
        _ if is(135.0) => text!("telling-until-half-way-from-square"),
        _ if is(180.0) => text!("telling-until-both-sides-parallel"),
        _ if left < 45.0 => text!("telling-little-as-drawn"),
        _ if left < 90.0 => text!("telling-until-short-square-as-drawn"),
        _ if left < 180.0 => text!("telling-past-square-as-drawn"),
        _ => text!("telling-past-parallel-as-drawn"),
    }
}

/// What to expect where a bend springs back so far that an eye sees it.
pub(super) fn springs(numbers: &Numbers) -> Option<&'static str> {
    let (to, left) = (numbers.angle_to_deg?, numbers.angle_left_deg?);
    match to - left {
        more if more > 12.0 => Some(text!("telling-springs-back-lot-go-well")),
        more if more > 2.5 => Some(text!("telling-springs-back-little-go-just")),
        _ => None,
    }
}

/// Bends beyond this angle close by themselves and are rolled until they do, degrees.
pub(crate) const CLOSES_DEG: f64 = 240.0;

/// Which way: `to the left`; towards or away from the eye where it leaves the plane of the piece.
pub(super) fn which_way(numbers: &Numbers) -> String {
    match (numbers.turn, numbers.plane_deg) {
        (Some(Turn::Left), _) => text!("telling-left").to_owned(),
        (Some(Turn::Right), _) => text!("telling-right").to_owned(),
        (None, Some(plane)) if plane.to_radians().sin() > 0.5 => text!("telling-up-towards-you").to_owned(),
        (None, Some(plane)) if plane.to_radians().sin() < -0.5 => {
            text!("telling-down-away-from-you").to_owned()
        }
        _ => String::new(),
    }
}

/// What slipping along a tapered jaw does, for a slip that an eye sees.
pub(super) fn slipped(slip: f64, unit: LengthUnit) -> String {
    let far = match unit {
        LengthUnit::Mm => 1.0,
        LengthUnit::Inch => MM_PER_INCH / 32.0,
    };
    text!(
        "telling-slipping-along-jaw-changes-size",
        far = on_ruler(far, unit),
        far2 = caliper(far * slip, unit)
    )
}
