//! Lay a flat spiral.

use super::bend::FormedStretch;
use crate::making::telling::{held, hinted, place, slipped, turned, which_way};
use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::shape::Course;
use crate::wire::bending::Bending;
use crate::wire::strength::outer_strain;
use lorimant_text::text;

/// Turns laid flat, each round the last.
#[derive(Debug, Clone, Copy)]
pub struct Spiral {
    /// What it makes.
    pub what: &'static str,
    /// The stretch.
    pub formed: FormedStretch,
    /// The pattern's own way, where it has one.
    pub hint: &'static str,
}

impl Perform for Spiral {
    fn operation(&self) -> Operation {
        Operation::Spiral
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let (profile, unit) = (bench.wire.profile(), bench.unit());
        let (bent, spent) = self.formed.tool(Operation::Spiral, piece, bench);
        let Some(bent) = bent else { return Err(text!("spiral-there-no-spiral-coil").to_owned()) };
        let shape = self.formed.shape;
        let inside = shape.course.tightest_mm().unwrap_or(0.0);
        let radius = inside / 2.0 + profile.centroid_mm();
        let made = Bending::after(bench.wire, spent).wound_radius(radius).unwrap_or(radius);
        let (from, to) = self.formed.here(piece);
        let used = bench.share(piece.outer_between(from, to), outer_strain(profile, made));
        piece.bend((from, to), made, profile);
        let left = shape.curve(profile).angle() / std::f64::consts::TAU;
        let mut numbers = self.formed.numbers(profile);
        numbers.tool = Some(bent.place.tool.clone());
        numbers.tool_mm = Some(2.0 * (made - profile.centroid_mm())).filter(|mm| inside > 0.0 && *mm > 0.0);
        numbers.jaw_mm = bent.place.jaw_mm;
        numbers.slip_mm = bent.place.slip_mm;
        // Each turn is pressed against the last, so that as many are left as are laid.
        numbers.turns_n = Some(left);
        numbers.turns_left_n = Some(left);
        numbers.inside_mm = Some(inside);
        numbers.strain_used = Some(used);
        if let Course::Spiral { pitch_mm, .. } = shape.course {
            numbers.pitch_mm = Some(pitch_mm);
        }
        let mut hints = hinted(self.hint);
        hints.extend(bent.place.slip_mm.map(|slip| slipped(slip, unit)));
        Ok(Done {
            what: self.what.to_owned(),
            segments: self.formed.segments(),
            text: text!(
                "spiral-start-coil-flat-in-smooth",
                numbers = place(&numbers, unit),
                what = self.what,
                numbers2 = which_way(&numbers),
                bent = held(&bent, unit),
                value = if inside > 0.0 { "" } else { text!("spiral-squeeze-its-middle-shut") },
                left = turned(left)
            ),
            numbers,
            hints,
            misfit: bent.place.misfit,
            takes: Takes::minutes(0.5, 0.6 + 0.6 * left).effort(bench.effort(spent)),
            ..Done::default()
        })
    }
}
