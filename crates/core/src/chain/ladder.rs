//! A ladder: a weave's taut poses by growing ratio, and what lies between two rungs.

use serde::{Deserialize, Serialize};

use super::pose::Pose;
use super::relax::{Relaxing, Solved};
use super::search::{Effort, RelaxProgress, wire_at};
use super::shipped;
use super::torus::Torus;
use crate::fault::Faults;

/// Taut poses of a weave, by growing ratio; the first is the smallest that goes. In units of the first ring's core radius.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
pub struct Ladder(Vec<Rung>);

/// A taut pose.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
pub struct Rung {
    /// The ratio of inside to wire it is taut at.
    pub ratio: f64,
    /// The pose.
    pub pose: Pose,
}

/// Ratios against the smallest at which the weaves of the trade ship: close together where a chain is stiff.
pub const FINE: [f64; 25] = [
    1.0, 1.005, 1.01, 1.02, 1.035, 1.05, 1.075, 1.1, 1.13, 1.17, 1.21, 1.26, 1.32, 1.4, 1.5, 1.65, 1.8, 2.0,
    2.3, 2.7, 3.2, 4.0, 5.0, 7.0, 10.0,
];
/// The same where a maker waits for it.
pub const COARSE: [f64; 9] = [1.0, 1.02, 1.06, 1.12, 1.22, 1.4, 1.8, 2.6, 5.0];
/// A hair more ratio than a rung says, so that it holds with what is rounded off.
const HAIR: f64 = 1e-6;
/// Below so many times the smallest ratio rings are wedged.
const WEDGED: f64 = 1.05;
/// A repeat that is longer by less is the same.
const GAIN: f64 = 1e-6;
/// Two poses with rings no farther apart than this are the same branch, and what lies between is between them.
const SAME_BRANCH: f64 = 0.25;

impl Ladder {
    /// That of a weave of the trade, as it ships; `None` for any other.
    ///
    /// ```
    /// use lorimant_core::chain::ladder::Ladder;
    ///
    /// let byzantine = Ladder::of_known("byzantine").unwrap();
    /// assert!(byzantine.smallest_ratio() < 3.3);
    /// // Taut, it grows longer with the ratio.
    /// assert!(byzantine.repeat_at(4.5).unwrap() > byzantine.repeat_at(3.5).unwrap());
    /// ```
    #[must_use]
    pub fn of_known(word: &str) -> Option<Self> {
        let rung = |one: &shipped::Shipped| Rung { ratio: one.ratio, pose: one.pose.clone() };
        let rungs: Vec<Rung> = shipped::of(word).map(rung).collect();
        (!rungs.is_empty()).then_some(Self(rungs))
    }

    /// Worked out: the tightest poses from several starts, then pulled taut at these steps above the smallest ratio, each
    /// from the tight poses and from the rung below, then so many times from above and from below again. `hangs` says which tight poses count.
    ///
    /// # Errors
    /// As [`Relaxing::tightest`].
    pub fn worked_out(
        relaxing: &Relaxing,
        efforts: &[Effort],
        steps: &[f64],
        passes: u32,
        hangs: &dyn Fn(&Pose) -> bool,
        go_on: &dyn Fn(RelaxProgress) -> bool,
    ) -> Result<Self, Faults> {
        let mut tight: Vec<Solved> = vec![];
        let mut wrong = None;
        for effort in efforts {
            match relaxing.tightest(*effort, go_on) {
                Ok(found) => tight.extend(found.into_iter().filter(|solved| hangs(&solved.pose))),
                Err(faults) => wrong = Some(faults),
            }
        }
        Self::from_tight(relaxing, tight, steps, passes).ok_or_else(|| wrong.unwrap_or_else(Faults::none))
    }

    /// The same from tight poses that are known; `None` where there are none.
    #[must_use]
    pub fn from_tight(
        relaxing: &Relaxing,
        mut tight: Vec<Solved>,
        steps: &[f64],
        passes: u32,
    ) -> Option<Self> {
        tight.sort_by(|a, b| b.wire.total_cmp(&a.wire));
        let first = tight.first().cloned()?;
        // A sheet is pulled from the way it lies tightest, since across it would give another.
        tight.truncate(if relaxing.weave().is_sheet() { 1 } else { 4 });
        let wire = |i: usize| wire_at(first.ratio() * steps[i] * (1.0 + HAIR));
        let holds =
            |solved: &Solved| relaxing.look(&solved.pose, solved.wire).room > solved.wire * (1.0 - 1e-5);
        let mut rungs: Vec<Solved> = vec![];
        for i in 0..steps.len() {
            let below = rungs.last().unwrap_or(&first).clone();
            // It goes at least as it goes below: gaps only grow.
            let mut best = Solved { wire: wire(i), ..below.clone() };
            // Of one tight pose the rung below is the better start.
            let from_tight = if tight.len() > 1 || i == 0 { relaxing.taut(&tight, wire(i)) } else { None };
            let taut = [from_tight, relaxing.taut_from(&below.pose, wire(i))];
            for solved in taut.into_iter().flatten().filter(holds) {
                if solved.pose.repeat > best.pose.repeat {
                    best = solved;
                }
            }
            rungs.push(best);
        }
        // Down and up again, as another branch may be longer, until nothing gains.
        for _ in 0..passes {
            let mut gained = false;
            let down = (0..steps.len().saturating_sub(1)).rev().map(|i| (i, i + 1));
            for (i, from) in down.chain((1..steps.len()).map(|i| (i, i - 1))) {
                let solved = relaxing.taut_from(&rungs[from].pose, wire(i)).filter(&holds);
                if let Some(longer) = solved.filter(|one| one.pose.repeat > rungs[i].pose.repeat + GAIN) {
                    (rungs[i], gained) = (longer, true);
                }
            }
            if !gained {
                break;
            }
        }
        let rung = |(step, solved): (&f64, Solved)| Rung { ratio: first.ratio() * step, pose: solved.pose };
        Some(Self(steps.iter().zip(rungs).map(rung).collect()))
    }

    /// Its rungs.
    #[must_use]
    pub fn rungs(&self) -> &[Rung] {
        &self.0
    }

    /// The smallest ratio at which the rings go into each other.
    #[must_use]
    pub fn smallest_ratio(&self) -> f64 {
        self.0[0].ratio
    }

    /// The two rungs a ratio lies between, and how far up it is; `None` below the smallest.
    fn between(&self, ratio: f64) -> Option<(&Rung, &Rung, f64)> {
        if ratio < self.smallest_ratio() - 1e-9 {
            return None;
        }
        let above = self.0.iter().position(|rung| rung.ratio >= ratio).unwrap_or(self.0.len() - 1);
        let (low, high) = (&self.0[above.saturating_sub(1)], &self.0[above]);
        // At the smallest ratio rings are wedged, and from there on room grows as its square root: near it, what lies between
        // two rungs is nearly straight in the root of how much thinner the wire is; farther up in the wire itself.
        let thickest = wire_at(self.smallest_ratio());
        let near = low.ratio < WEDGED * self.smallest_ratio();
        let thinner = |ratio: f64| {
            let share = (1.0 - wire_at(ratio) / thickest).max(0.0);
            if near { share.sqrt() } else { share }
        };
        let step = thinner(high.ratio) - thinner(low.ratio);
        let share = (thinner(ratio) - thinner(low.ratio)) / step;
        Some((low, high, if step > 0.0 { share.clamp(0.0, 1.0) } else { 1.0 }))
    }

    /// The taut repeat at a ratio, as a share of the first ring's inside; `None` below the smallest ratio. Between rungs it
    /// is read in a straight line against the wire, near the smallest against the root of how much thinner it is than there; far above the last it keeps its share.
    #[must_use]
    pub fn repeat_at(&self, ratio: f64) -> Option<f64> {
        self.of_bore(ratio, |pose| pose.repeat)
    }

    /// The same across, of a sheet.
    #[must_use]
    pub fn across_at(&self, ratio: f64) -> Option<f64> {
        self.of_bore(ratio, |pose| pose.across)
    }

    fn of_bore(&self, ratio: f64, of: impl Fn(&Pose) -> f64) -> Option<f64> {
        let (low, high, share) = self.between(ratio)?;
        let core = of(&low.pose) + (of(&high.pose) - of(&low.pose)) * share;
        // Far above the last rung it keeps its share of the inside.
        Some(core / (2.0 - wire_at(ratio.min(high.ratio))))
    }

    /// The pose at a ratio, in units of the first ring's core radius; `None` below the smallest.
    #[must_use]
    pub fn pose_at(&self, ratio: f64) -> Option<Pose> {
        let (low, high, share) = self.between(ratio)?;
        let pairs = || low.pose.rings.iter().zip(&high.pose.rings);
        let near = |(one, other): (&Torus, &Torus)| {
            one.center.distance(other.center) < SAME_BRANCH && one.axis.distance(other.axis) < SAME_BRANCH
        };
        if !pairs().all(near) {
            return Some(low.pose.clone());
        }
        let mix = |one: f64, other: f64| one + (other - one) * share;
        let ring = |(one, other): (&Torus, &Torus)| Torus {
            center: one.center.lerp(other.center, share),
            axis: one.axis.lerp(other.axis, share).normalize(),
            radius: one.radius,
        };
        Some(Pose {
            rings: pairs().map(ring).collect(),
            repeat: mix(low.pose.repeat, high.pose.repeat),
            across: mix(low.pose.across, high.pose.across),
            turn: mix(low.pose.turn, high.pose.turn),
        })
    }
}
