//! Wind a coil or a cone that stays one.

use super::bend::FormedStretch;
use crate::making::telling::{held, hinted, slipped, turned};
use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::shape::Course;
use crate::tool::coil::Cone;
use crate::wire::bending::Bending;
use crate::wire::strength::outer_strain;
use crate::words::length::{caliper, on_ruler};
use lorimant_text::text;

/// Turns wound on a rod or a taper.
#[derive(Debug, Clone, Copy)]
pub struct Coil {
    /// What it makes.
    pub what: &'static str,
    /// The stretch.
    pub formed: FormedStretch,
    /// Turns left of what is wound on with it and lifted afterwards.
    pub more_n: f64,
    /// The pattern's own way, where it has one.
    pub hint: &'static str,
}

impl Perform for Coil {
    fn operation(&self) -> Operation {
        Operation::Coil
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let (profile, unit) = (bench.wire.profile(), bench.unit());
        let (bent, spent) = self.formed.tool(Operation::Coil, piece, bench);
        let Some(bent) = bent else { return Err(text!("coil-there-nothing-wind-in").to_owned()) };
        let bending = Bending::after(bench.wire, spent);
        let (c, shape) = (profile.centroid_mm(), self.formed.shape);
        let inside = shape.course.tightest_mm().unwrap_or(0.0);
        let Some(made) = bending.wound_radius(inside / 2.0 + c) else {
            return Err(text!("coil-this-wire-springs-straight-off").to_owned());
        };
        let (from, to) = self.formed.here(piece);
        let used = bench.share(piece.outer_between(from, to), outer_strain(profile, made));
        piece.bend((from, to), made, profile);
        // Its turns lie on each other.
        piece.shut = true;
        let left = shape.curve(profile).angle() / std::f64::consts::TAU;
        let wound = bent.to_deg / 360.0;
        let mut numbers = self.formed.numbers(profile);
        numbers.tool = Some(bent.place.tool.clone());
        numbers.tool_mm = Some(2.0 * (made - c));
        numbers.turns_n = Some(wound);
        numbers.turns_left_n = Some(left);
        numbers.inside_mm = Some(inside);
        numbers.strain_used = Some(used);
        let mut misfit = bent.place.misfit.clone();
        let text = match shape.course {
            Course::Cone { small_mm, large_mm, turns, .. } => {
                let cone = Cone { small_mm, large_mm, turns }.wound_for(&bending);
                let Some(cone) = cone else {
                    return Err(text!("coil-its-wide-end-springs-straight").to_owned());
                };
                numbers.tool_to_mm = Some(cone.large_mm);
                let taper = bench.workshop.gear.taper;
                let place = |mm: f64| taper.and_then(|taper| taper.place_mm(mm));
                numbers.jaw_mm = place(cone.small_mm);
                if taper.is_some() && (place(cone.small_mm).is_none() || place(cone.large_mm).is_none()) {
                    misfit = Some(text!(
                        "coil-your-taper-has-no-place",
                        small_mm = caliper(cone.small_mm, unit),
                        large_mm = caliper(cone.large_mm, unit)
                    ));
                }
                let mark = |mm: f64| {
                    let from_end =
                        place(mm).map(|at| text!("coil-from-its-narrow-end", at = on_ruler(at, unit)));
                    format!("{}{}", caliper(mm, unit), from_end.unwrap_or_default())
                };
                text!(
                    "coil-wind-on-taper-from-where",
                    turns = turned(cone.turns),
                    small_mm = mark(cone.small_mm),
                    large_mm = mark(cone.large_mm),
                    left = turned(left),
                    small_mm2 = caliper(small_mm, unit),
                    large_mm2 = caliper(large_mm, unit)
                )
            }
            _ if self.more_n > 0.0 => {
                let more = self.more_n * wound / left;
                numbers.turns_more_n = Some(more);
                text!(
                    "coil-wind-in-all-close-together",
                    wound = turned(wound + more),
                    bent = held(&bent, unit),
                    wound2 = turned(wound),
                    what = self.what,
                    more = turned(more),
                    left = turned(left + self.more_n),
                    inside = caliper(inside, unit)
                )
            }
            _ => text!(
                "coil-wind-close-together-let-spring",
                wound = turned(wound),
                bent = held(&bent, unit),
                left = turned(left),
                inside = caliper(inside, unit)
            ),
        };
        let mut hints = hinted(self.hint);
        hints.extend(bent.place.slip_mm.map(|slip| slipped(slip, unit)));
        Ok(Done {
            what: self.what.to_owned(),
            segments: self.formed.segments(),
            numbers,
            text,
            hints,
            misfit,
            caution: Some(text!("coil-end-wire-whips-round-wear")),
            takes: Takes::minutes(1.0, 0.5 + 0.1 * wound).effort(bench.effort(spent)),
            ..Done::default()
        })
    }
}
