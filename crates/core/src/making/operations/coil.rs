//! Wind a coil or a cone that stays one.

use super::bend::FormedStretch;
use crate::making::telling::{held, hinted, slipped, turned};
use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::shape::Course;
use crate::tool::coil::Cone;
use crate::wire::bending::Bending;
use crate::wire::strength::outer_strain;
use crate::words::length::{caliper, on_ruler};

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
        let Some(bent) = bent else { return Err("there is nothing to wind in it.".to_owned()) };
        let bending = Bending::after(bench.wire, spent);
        let (c, shape) = (profile.centroid_mm(), self.formed.shape);
        let inside = shape.course.tightest_mm().unwrap_or(0.0);
        let Some(made) = bending.wound_radius(inside / 2.0 + c) else {
            return Err("this wire springs straight off such a wide rod. Use a softer temper.".to_owned());
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
                    return Err("its wide end springs straight. Use a softer temper.".to_owned());
                };
                numbers.tool_to_mm = Some(cone.large_mm);
                let taper = bench.workshop.gear.taper;
                let place = |mm: f64| taper.and_then(|taper| taper.place_mm(mm));
                numbers.jaw_mm = place(cone.small_mm);
                if taper.is_some() && (place(cone.small_mm).is_none() || place(cone.large_mm).is_none()) {
                    misfit = Some(format!(
                        "Your taper has no place that is {} to {} across. Use another taper, or change the \
                         mouths.",
                        caliper(cone.small_mm, unit),
                        caliper(cone.large_mm, unit)
                    ));
                }
                let mark = |mm: f64| {
                    let from_end =
                        place(mm).map(|at| format!(" ({} from its narrow end)", on_ruler(at, unit)));
                    format!("{}{}", caliper(mm, unit), from_end.unwrap_or_default())
                };
                format!(
                    "Wind {} on the taper, from where it is {} across to where it is {}. Keep each turn \
                     against the last. Let it spring open: {} left, mouths {} and {}.",
                    turned(cone.turns),
                    mark(cone.small_mm),
                    mark(cone.large_mm),
                    turned(left),
                    caliper(small_mm, unit),
                    caliper(large_mm, unit)
                )
            }
            _ if self.more_n > 0.0 => {
                let more = self.more_n * wound / left;
                numbers.turns_more_n = Some(more);
                format!(
                    "Wind {} in all {}, close together: {} for the {}, and {} to lift later. Let it spring \
                     open: {} left, {} inside.",
                    turned(wound + more),
                    held(&bent, unit),
                    turned(wound),
                    self.what,
                    turned(more),
                    turned(left + self.more_n),
                    caliper(inside, unit)
                )
            }
            _ => format!(
                "Wind {} {}, close together. Let it spring open: {} left, {} inside.",
                turned(wound),
                held(&bent, unit),
                turned(left),
                caliper(inside, unit)
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
            caution: Some(
                "The end of the wire whips round: wear glasses and keep a thumb on the tail. With a drill, \
                 no gloves near the rod.",
            ),
            takes: Takes::minutes(1.0, 0.5 + 0.1 * wound).effort(bench.effort(spent)),
            ..Done::default()
        })
    }
}
