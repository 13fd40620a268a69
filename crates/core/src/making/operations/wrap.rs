//! Wrap the tail round the stem.

use super::bend::FormedStretch;
use crate::making::telling::hinted;
use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::bending::Bending;
use crate::wire::strength::outer_strain;
use crate::words::length::shown;
use lorimant_text::text;

/// Turns wrapped round the piece's own stem.
#[derive(Debug, Clone, Copy)]
pub struct Wrap {
    /// What it makes.
    pub what: &'static str,
    /// The stretch.
    pub formed: FormedStretch,
    /// What is wrapped before it in one go: a first half turn that leads down from the loop.
    pub continues: bool,
    /// How many are counted in all, and by which rule.
    pub counted: (f64, &'static str),
    /// The pattern's own way, where it has one.
    pub hint: &'static str,
}

impl Perform for Wrap {
    fn operation(&self) -> Operation {
        Operation::Wrap
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let profile = bench.wire.profile();
        let (from, to) = self.formed.here(piece);
        let spent = piece.strain_between(from, to);
        let shape = self.formed.shape;
        let core = shape.course.tightest_mm().unwrap_or(0.0);
        let radius = core / 2.0 + profile.centroid_mm();
        let made = Bending::after(bench.wire, spent).wound_radius(radius).unwrap_or(radius);
        let used = bench.share(piece.outer_between(from, to), outer_strain(profile, made));
        piece.bend((from, to), made, profile);
        let turns = shape.curve(profile).angle() / std::f64::consts::TAU;
        let mut numbers = self.formed.numbers(profile);
        numbers.tool = Some(text!("wrap-its-own-stem").to_owned());
        // Wire wrapped under tension lies on its core.
        numbers.turns_n = Some(turns);
        numbers.turns_left_n = Some(turns);
        numbers.inside_mm = Some(core);
        numbers.strain_used = Some(used);
        let (count, rule) = self.counted;
        let text = if self.continues {
            text!("wrap-keep-wrapping-close-together-until", count = shown(count, 2), rule)
        } else if (turns - count).abs() < 1e-9 {
            text!("wrap-wrap-round-stem-close-together", count = shown(count, 2), rule)
        } else {
            text!("wrap-lead-tail-down-from-loop", turns = shown(turns, 2))
        };
        Ok(Done {
            what: self.what.to_owned(),
            segments: self.formed.segments(),
            numbers,
            text,
            hints: hinted(self.hint),
            caution: Some(text!("wrap-tails-cut-end-sharp-until")),
            takes: Takes::minutes(0.3, 0.3 + 0.3 * turns).effort(bench.effort(spent)),
            ..Done::default()
        })
    }
}
