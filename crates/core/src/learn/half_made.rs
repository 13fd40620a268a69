//! A piece half made: what of it is bent at a step, and what it takes to bend it otherwise.

use super::dimension::made_of;
use crate::fault::{Fault, Faults};
use crate::figure::Level;
use crate::making::operations::Anneal;
use crate::making::workpiece::ClosedBy;
use crate::making::{Made, Operation, Step, Workpiece};
use crate::pattern::PatternRequest;
use crate::tool::workshop::Workshop;
use crate::wire::strength::{strain_left_after, strain_level};
use lorimant_text::text;

/// A piece as far as it is made.
pub(super) struct HalfMade<'a> {
    made: Made,
    done_n: usize,
    request: &'a PatternRequest,
    workshop: &'a Workshop,
}

/// Places are this exact on a piece that is bent already, mm or degrees or turns.
const ALIKE: f64 = 0.06;

impl<'a> HalfMade<'a> {
    /// A piece with so many steps of its route done; where no number is said, as many as `usually` says of its route.
    ///
    /// # Errors
    /// The faults of its pattern; a fault at `at_step_n` where it has no such step.
    pub(super) fn of(
        request: &'a PatternRequest,
        at_step_n: Option<usize>,
        usually: impl Fn(&[Step]) -> usize,
        workshop: &'a Workshop,
    ) -> Result<Self, Faults> {
        let made = made_of(request, workshop)?;
        let all = made.steps.len();
        let done_n = at_step_n.unwrap_or_else(|| usually(&made.steps));
        if done_n > all {
            let message = text!("half-made-has-steps-there-no-step", all, done_n);
            return Err(Fault::new("at_step_n", message).into());
        }
        Ok(Self { made, done_n, request, workshop })
    }

    /// The wire as it is.
    fn workpiece(&self) -> Option<&Workpiece> {
        Some(&self.made.steps.get(self.done_n.checked_sub(1)?)?.workpiece)
    }

    /// The steps that gave it what shape it has.
    pub(super) fn shaped(&self) -> impl Iterator<Item = &Step> {
        self.made.steps[..self.done_n].iter().filter(|step| !step.segments.is_empty())
    }

    /// What holds it together, where it is joined.
    pub(super) fn joined(&self) -> Option<ClosedBy> {
        self.workpiece()?.joined
    }

    /// What has to be straightened before it can become another piece of the same pattern: what is shaped already, and
    /// lies elsewhere or is bent otherwise in that.
    pub(super) fn to_straighten(&self, other: &PatternRequest) -> Vec<&Step> {
        let Ok(made) = made_of(other, self.workshop) else { return vec![] };
        // A wire that is folded in its middle is trimmed even at both ends: its fold stays where it is.
        let folded = self.request.form().is_ok_and(|formed| formed.design.fold().is_some());
        let otherwise = |step: &&Step| {
            let there = made
                .steps
                .iter()
                .find(|then| then.operation == step.operation && then.segments == step.segments);
            !there.is_some_and(|then| alike(step, then, folded && step.operation == Operation::Fold))
        };
        self.shaped().filter(otherwise).collect()
    }

    /// What is said of straightening these for another piece; nothing where the metal is expected to crack. Straightening
    /// spends as much again as the bend did. An estimate.
    pub(super) fn straightened_for(&self, undone: &[&Step], other: &PatternRequest) -> Option<&'static str> {
        let Ok(made) = made_of(other, self.workshop) else { return None };
        let same = other.kind == self.request.kind;
        let share = undone.iter().map(|step| {
            let anew = made.steps.iter().filter(|then| !same || then.segments == step.segments);
            let needed = anew.map(|then| self.bend_strain(then)).fold(0.0, f64::max);
            needed
                / strain_left_after(
                    self.request.wire.metal,
                    self.flat_strain() + 2.0 * self.bend_strain(step),
                )
        });
        match strain_level(share.fold(0.0, f64::max)) {
            Some(Level::Stop) => None,
            Some(_) => match Anneal::of(&self.request.wire, &self.workshop.gear) {
                Ok(_) => Some(text!("half-made-anneal-once-straight-this-uses")),
                Err(_) => Some(text!("half-made-this-uses-most-stretch-metal")),
            },
            None => Some(""),
        }
    }

    /// What of the metal's stretch was spent where it is still straight.
    fn flat_strain(&self) -> f64 {
        let sold = self.request.wire.temper.bearing_spent();
        let least =
            |piece: &Workpiece| piece.stretches.iter().map(|stretch| stretch.outer_strain).reduce(f64::min);
        self.workpiece().and_then(least).unwrap_or(sold).max(sold)
    }

    /// What a step strains the outermost fibre by.
    fn bend_strain(&self, step: &Step) -> f64 {
        step.numbers.strain_used.unwrap_or(0.0)
            * strain_left_after(self.request.wire.metal, self.flat_strain())
    }
}

/// Whether two steps shape the wire alike at the same place, or `anywhere`.
fn alike(a: &Step, b: &Step, anywhere: bool) -> bool {
    let (a, b) = (&a.numbers, &b.numbers);
    let pairs = [
        if anywhere { (None, None) } else { (a.at_mm, b.at_mm) },
        (a.inside_mm, b.inside_mm),
        (a.angle_left_deg.map(|deg| deg / 20.0), b.angle_left_deg.map(|deg| deg / 20.0)),
        (a.turns_left_n, b.turns_left_n),
        (a.thickness_mm, b.thickness_mm),
    ];
    let off = |(a, b): (Option<f64>, Option<f64>)| (a.unwrap_or(0.0) - b.unwrap_or(0.0)).abs();
    pairs.into_iter().all(|pair| off(pair) < ALIKE)
}
