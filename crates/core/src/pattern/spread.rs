//! How far the dimensions of a finished finding may be off: what the metal, the ruler, the marks, the jaws and the eye leave
//! open, each led through the making and put together as independent chances are, by their squares.

use super::finished::FinishedFinding;
use super::form::FormedPiece;
use super::measure::{Measure, Measures};
use super::slipped::Slips;
use crate::making::Operation;
use crate::tool::hand::HandSpread;
use crate::wire::SIZE_SPREAD;
use crate::words::words;
use lorimant_text::text;

/// One standard deviation of where a hand lays the wire on a jaw, beside its mark, mm.
pub const MARK_MM: f64 = 0.4;
/// The same of where a bend is begun, beside its mark on the wire, mm.
pub const START_MM: f64 = 0.3;
/// The same of a length cut by a steel ruler, mm.
pub const CUT_MM: f64 = 0.3;
/// The same of an angle bent by eye, degrees.
pub const ANGLE_DEG: f64 = 3.0;
/// The same of a ball, as a share of its size.
pub const BALL: f64 = 0.05;

/// A bend that begins this near an end is begun at the end, mm.
const AT_THE_END_MM: f64 = 0.5;

words! {
    /// What leaves a dimension open.
    pub enum SpreadFrom ("spread-from") {
        /// How the wire springs, and how thick it is.
        Metal = "metal";
        /// How long it was cut.
        Cut = "cut";
        /// Where bends begin.
        Marks = "marks";
        /// Where on the jaw loops are rolled.
        Jaw = "jaw";
        /// How far it is bent.
        Angles = "angles";
        /// The tool, what is not quite round, and the caliper.
        Hand = "hand";
    }
}

/// How far one dimension may be off.
#[derive(Debug, Clone, PartialEq)]
pub struct DimensionSpread {
    /// The dimension.
    pub measure: Measure,
    /// What leaves it open, one standard deviation each, mm; what is nothing is left out.
    pub sources: Vec<(SpreadFrom, f64)>,
}

impl DimensionSpread {
    /// One standard deviation, mm.
    #[must_use]
    pub fn mm(&self) -> f64 {
        self.sources.iter().map(|(_, mm)| mm * mm).sum::<f64>().sqrt()
    }
}

/// The sizes of its shape, with how deep it is from front to back where it does not lie flat.
fn with_depth(formed: &FormedPiece) -> Vec<Measure> {
    let mut sizes = formed.sizes();
    let deep = formed.extent.size().z;
    if deep > 1.5 * formed.design.profile.thickness_mm() {
        let what = text!("pattern-figures-depth").to_owned();
        sizes.push(Measure { key: "depth".to_owned(), what, kind: Measures::Length, mm: deep });
    }
    sizes
}

impl<'a> FinishedFinding<'a> {
    /// How far each dimension of its shape may be off in this hand.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let (hook, workshop) = (PatternRequest::usual("hook-clasp".parse().unwrap()), Workshop::default());
    /// let spreads = hook.finished(&workshop).unwrap().spreads(&workshop.hand);
    /// let of = |key: &str| spreads.iter().find(|one| one.measure.key == key).unwrap().mm();
    /// // A loop is surer than the whole height, into which every bend goes.
    /// assert!(of("eye_mm") > 0.0 && of("height") > of("eye_mm"));
    /// ```
    #[must_use]
    pub fn spreads(&self, hand: &HandSpread) -> Vec<DimensionSpread> {
        let formed = &self.formed;
        let drawn = with_depth(formed);
        let moved = |slipped: &FormedPiece| -> Vec<f64> {
            let sizes = with_depth(slipped);
            drawn
                .iter()
                .map(|one| sizes.iter().find(|now| now.key == one.key).map_or(0.0, |now| now.mm - one.mm))
                .collect()
        };
        // One standard deviation more and one less, in squares: what is over all may grow either way, or only one.
        let between = |made: &dyn Fn(f64) -> FormedPiece<'a>| -> Vec<f64> {
            let (more, less) = (moved(&made(1.0)), moved(&made(-1.0)));
            more.iter().zip(less).map(|(more, less)| ((more * more + less * less) / 2.0).sqrt()).collect()
        };
        let none = Slips::default();
        let all = |slips: &dyn Fn(f64) -> Slips| between(&|by| formed.slipped(&self.made, &slips(by)));
        let flow = formed.request.wire.stress_spread();
        let mut found: Vec<(SpreadFrom, Vec<f64>)> = vec![
            (SpreadFrom::Metal, all(&|by| Slips { flow: 1.0 + by * flow, ..none })),
            (SpreadFrom::Metal, all(&|by| Slips { size: 1.0 + by * SIZE_SPREAD, ..none })),
            (SpreadFrom::Cut, all(&|by| Slips { blank_mm: by * CUT_MM, ..none })),
        ];
        for (n, step) in self.made.steps.iter().enumerate().filter(|(_, step)| !step.segments.is_empty()) {
            let at = |slips: &dyn Fn(f64) -> Slips| {
                between(&|by| {
                    formed.slipped_at(&self.made, &none, &|at| slips(if at == n { by } else { 0.0 }))
                })
            };
            if step.numbers.slip_mm.is_some() {
                found.push((SpreadFrom::Jaw, at(&|by| Slips { jaw_mm: by * MARK_MM, ..none })));
            }
            if step.operation == Operation::Loop {
                found.push((SpreadFrom::Angles, at(&|by| Slips { open_deg: by * ANGLE_DEG, ..none })));
            } else {
                found.push((SpreadFrom::Angles, at(&|by| Slips { bent_deg: by * ANGLE_DEG, ..none })));
            }
            // What begins at an end of the wire has no mark to miss.
            if step.numbers.at_mm.is_some_and(|mm| mm > AT_THE_END_MM) {
                found.push((SpreadFrom::Marks, at(&|by| Slips { start_mm: by * START_MM, ..none })));
            }
        }
        let by_hand = (hand.rod_mm.powi(2) + hand.roundness_mm.powi(2) + hand.caliper_mm.powi(2)).sqrt();
        let spread = |(i, measure): (usize, &Measure)| {
            let of = |from: SpreadFrom| {
                let squares: f64 =
                    found.iter().filter(|(source, _)| *source == from).map(|(_, off)| off[i] * off[i]).sum();
                let own = match (from, measure.kind) {
                    (SpreadFrom::Hand, Measures::Ball) => by_hand.hypot(BALL * measure.mm),
                    (SpreadFrom::Hand, Measures::Length) => hand.caliper_mm,
                    (SpreadFrom::Hand, _) => by_hand,
                    _ => 0.0,
                };
                (from, squares.sqrt().hypot(own))
            };
            let sources = SpreadFrom::ALL.iter().map(|from| of(*from)).filter(|(_, mm)| *mm > 1e-3);
            DimensionSpread { measure: measure.clone(), sources: sources.collect() }
        };
        drawn.iter().enumerate().map(spread).collect()
    }
}
