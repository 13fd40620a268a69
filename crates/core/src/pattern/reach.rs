//! Whether a jaw or rod still gets in where a bend is made: what is formed already may stand in its way.

use super::form::FormedPiece;
use crate::making::{Operation, Step};
use crate::shape::path::Path;
use crate::tool::plier::Plier;
use crate::tool::workshop::Workshop;
use crate::words::length::caliper;
use lorimant_text::text;

/// How far a jaw stands out on either side of the wire on it where its pliers are not named, mm.
const STANDS_OUT_MM: f64 = 10.0;
/// Share of the wire's thickness that may be in the jaw's place: it gives a little.
const GIVES: f64 = 0.1;

impl FormedPiece<'_> {
    /// Says at each step whose tool does not get in what stands in its way.
    pub(super) fn say_what_is_in_the_way(&self, steps: &mut [Step], workshop: &Workshop) {
        let unit = workshop.habits.unit;
        let named = self.request.plier.as_deref().and_then(|name| workshop.plier(name));
        let reach_mm = named.map_or(STANDS_OUT_MM, Plier::reach_mm);
        for i in 0..steps.len() {
            if !matches!(steps[i].operation, Operation::Loop | Operation::Bend) {
                continue;
            }
            let path = self.after(&steps[..=i]);
            let Some((segment, by_mm)) = self.in_the_way(&path, &steps[i], reach_mm) else { continue };
            let what = self.design.segments[segment].what;
            let message = text!("reach-in-way-jaw-here-make", what, by_mm = caliper(by_mm, unit));
            let step = &mut steps[i];
            step.misfit = true;
            step.hint = Some(match step.hint.take() {
                Some(hint) => format!("{hint} {message}"),
                None => message.clone(),
            });
            step.unfit.get_or_insert(message);
        }
    }

    /// The segment that reaches farthest into the place of a step's tool, and how far, mm; none where it gets in.
    ///
    /// The jaw is a round bar through the bend, along its axis, as far to either side as the pliers reach.
    fn in_the_way(&self, path: &Path, step: &Step, reach_mm: f64) -> Option<(usize, f64)> {
        let tool_mm = step.numbers.tool_mm?;
        let thickness = self.design.profile.thickness_mm();
        let points = path.points(thickness / 2.0);
        let mut worst: Option<(usize, f64)> = None;
        for bent in &step.segments {
            let placed = path.placed.get(*bent)?;
            let bent_thickness =
                self.design.segments.get(*bent)?.bent_profile(self.design.profile).thickness_mm();
            let room = (tool_mm + bent_thickness) / 2.0 - GIVES * thickness;
            let (centre, axis) = (placed.centre()?, placed.axis()?.try_normalize()?);
            for (_, at, segment) in points.iter().filter(|point| !step.segments.contains(&point.2)) {
                let from_centre = *at - centre;
                let along = from_centre.dot(axis);
                let by_mm = room - (from_centre - axis * along).length();
                if along.abs() < reach_mm && by_mm > worst.map_or(0.0, |(_, worst)| worst) {
                    worst = Some((*segment, by_mm));
                }
            }
        }
        worst
    }
}
