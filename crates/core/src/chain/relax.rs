//! Relaxing a weave: the smallest ratio at which its rings go into each other at all, and the longest repeat at a ratio.
//!
//! The problem is not convex. It is solved by linear programs one after the other, each within a small step of the pose
//! before (sequential linear programming with a trust region): unknowns are, of each ring, its middle and the two tilts of
//! its axis; the repeat; the turn, where it is free; the wire's thickness, where that is what is wanted. Every local minimum
//! of the distance between two core circles is a linear constraint: with the touching points `P` and `Q`, `u` from one to
//! the other, the distance changes by `u · (dP − dQ)` to first order, as both points are stationary. A pair on the wrong
//! side of a link has the same constraint with its sign turned, so that one routine undoes a tangle and pulls a chain taut.
//! A smallest ratio found is an upper bound, a taut repeat a lower bound; several starts make them better, never worse.
//!
//! Everything here is in units of the first ring's core radius, so that a pose that goes at one ratio goes at any larger:
//! gaps only grow as the wire becomes thinner.

use std::f64::consts::PI;

use glam::DVec3;
use microlp::{ComparisonOp, LinearExpr, OptimizationDirection, Problem, SolveOutcome};

use super::pose::{Pair, Pose, Seen, touches_of};
use super::torus::{Around, Torus, Touch};
use super::weave::{Repeats, Weave};

/// What is asked of a pose.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
enum Aim {
    /// That its rings are linked as the weave says.
    Linked,
    /// That its wire is as thick as can be.
    Thick,
    /// That its repeat is as long as can be.
    Long,
}

/// A pose with the wire it is for.
#[derive(Debug, Clone, PartialEq)]
pub struct Solved {
    /// The pose, in units of the first ring's core radius.
    pub pose: Pose,
    /// Thickness of the wire of a ring of relative thickness 1, in the same units.
    pub wire: f64,
}

/// What of a weave is worked out: its rings against each other.
#[derive(Debug, Clone)]
pub struct Relaxing<'a> {
    weave: &'a Weave,
    /// Core radius of each ring, the first 1.
    radii: Vec<f64>,
    /// Thickness of each ring's wire against the first's.
    thickness: Vec<f64>,
    around: Around,
    wanted: StillWanted<'a>,
}

/// Whether to go on, asked before each linear program.
#[derive(Clone, Copy)]
struct StillWanted<'a>(&'a dyn Fn() -> bool);

impl std::fmt::Debug for StillWanted<'_> {
    fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        f.write_str("StillWanted")
    }
}

/// Samples around a ring.
const SAMPLES: u32 = 72;
/// What a unit of overlap weighs against a unit of what is wanted, where a step is weighed: little at first, so that a step
/// may cut a corner that the next mends; more where the pose found still overlaps, as in dense weaves, where a little
/// overlap buys much length.
const OVERLAP_WEIGHS: [f64; 4] = [4.0, 16.0, 64.0, 256.0];
/// What it costs in the linear program, against that: more, so that the program itself makes none that it need not.
const OVERLAP_COSTS: f64 = 12.0;
/// A pose that leaves this share of the room its wire needs does not overlap.
const CLEAR: f64 = 1.0 - 1e-6;
/// Largest step.
const LARGEST: f64 = 0.3;
/// A step smaller than this changes nothing.
const SMALLEST: f64 = 1e-7;
/// Most linear programs of one solve.
const MOST_STEPS: u32 = 300;
/// A gain below this is none.
const NO_GAIN: f64 = 1e-9;
/// A fold is kept so much beyond half a turn, radians.
const FOLD_MARGIN: f64 = 0.05;

impl<'a> Relaxing<'a> {
    /// Rings all alike.
    #[must_use]
    pub fn alike(weave: &'a Weave) -> Self {
        let n = weave.rings_n();
        Self {
            weave,
            radii: vec![1.0; n],
            thickness: vec![1.0; n],
            around: Around::of(SAMPLES),
            wanted: StillWanted(&|| true),
        }
    }

    /// The same, given up as soon as this says no: what is being solved then comes to nothing.
    #[must_use]
    pub fn while_wanted(self, wanted: &'a dyn Fn() -> bool) -> Self {
        Self { wanted: StillWanted(wanted), ..self }
    }

    /// Whether it was given up.
    #[must_use]
    pub fn is_given_up(&self) -> bool {
        !(self.wanted.0)()
    }

    /// Rings of each part with its own core radius and wire, in any unit, in the order of [`Weave::parts`].
    #[must_use]
    pub fn of_parts(weave: &'a Weave, parts: &[(f64, f64)]) -> Self {
        let (radius, wire) = parts.first().copied().unwrap_or((1.0, 1.0));
        let of = |ring| parts.get(weave.part_of(ring)).copied().unwrap_or((radius, wire));
        Self {
            radii: (0..weave.rings_n()).map(|ring| of(ring).0 / radius).collect(),
            thickness: (0..weave.rings_n()).map(|ring| of(ring).1 / wire).collect(),
            ..Self::alike(weave)
        }
    }

    /// The weave.
    #[must_use]
    pub fn weave(&self) -> &Weave {
        self.weave
    }

    /// A pose with these rings' own radii.
    fn sized(&self, pose: &Pose) -> Pose {
        let ring = |(ring, radius): (&Torus, &f64)| Torus { radius: *radius, ..*ring };
        Pose { rings: pose.rings.iter().zip(&self.radii).map(ring).collect(), ..pose.clone() }
    }

    /// What is so of a pose.
    #[must_use]
    pub fn look(&self, pose: &Pose, wire: f64) -> Seen {
        pose.look(self.weave, &self.thickness, wire, &self.around)
    }

    /// The smallest ratio reached from a pose that is right: its wire grows as far as it can. `None` where the pose is not
    /// this weave.
    #[must_use]
    pub fn tightest_from(&self, start: &Pose) -> Option<Solved> {
        let start = self.sized(start);
        let seen = self.look(&start, 0.0);
        self.solve(&start, seen.room.min(1.9), Aim::Thick)
    }

    /// The longest repeat reached from a pose that is right, with wire so thick.
    #[must_use]
    pub fn taut_from(&self, start: &Pose, wire: f64) -> Option<Solved> {
        self.solve(&self.sized(start), wire, Aim::Long)
    }

    /// From any pose to one that is right with wire at least so thick. `None` where no way was found.
    #[must_use]
    pub fn untangled_from(&self, start: &Pose, wire: f64) -> Option<Pose> {
        let mut pose = self.sized(start);
        let (mut step, mut short) = (0.2, self.short(&pose, wire));
        for _ in 0..80 {
            if short == 0.0 || step < 1e-3 {
                break;
            }
            let (next, _) = self.step(&pose, wire, (Aim::Linked, OVERLAP_WEIGHS[0]), step)?;
            let then = self.short(&next, wire);
            if then < short {
                (pose, short, step) = (next, then, (step * 1.3_f64).min(0.4));
            } else {
                step *= 0.5;
            }
        }
        self.look(&pose, wire).is_right().then_some(pose)
    }

    /// By how much a pose falls short of being right with wire so thick, over all pairs and folds.
    fn short(&self, pose: &Pose, wire: f64) -> f64 {
        let pairs = pose.pairs(self.weave, wire * self.thickest());
        let of_pair = |pair: &Pair| {
            let (here, there) = pose.both(self.weave, pair);
            let apart = here.clearance(&there, &self.around);
            let woven = pose.is_woven(self.weave, pair, (&here, &there));
            let side = if woven { apart } else { -apart };
            (wire * self.needs(pair) - side).max(0.0)
        };
        let of_fold =
            |fold| pose.fold_arc(self.weave, fold).map_or(2.0 * PI, |arc| (PI + FOLD_MARGIN - arc).max(0.0));
        pairs.iter().map(of_pair).sum::<f64>() + self.weave.folds.iter().map(of_fold).sum::<f64>()
    }

    fn thickest(&self) -> f64 {
        self.thickness.iter().copied().fold(0.0, f64::max)
    }

    /// What the two wires of a pair need between their cores, for a wire of 1.
    fn needs(&self, pair: &Pair) -> f64 {
        f64::midpoint(self.thickness[pair.ring], self.thickness[pair.other])
    }

    fn solve(&self, start: &Pose, wire: f64, aim: Aim) -> Option<Solved> {
        let mut at = Solved { pose: start.clone(), wire };
        for weighs in OVERLAP_WEIGHS {
            at = self.solve_weighing(&at.pose, at.wire, aim, weighs)?;
            if self.look(&at.pose, at.wire).room >= at.wire * CLEAR {
                break;
            }
        }
        Some(at)
    }

    fn solve_weighing(&self, start: &Pose, wire: f64, aim: Aim, weighs: f64) -> Option<Solved> {
        let worth = |pose: &Pose, wire: f64, seen: &Seen| {
            let overlap = weighs * (wire - seen.room).max(0.0);
            (if aim == Aim::Thick { wire } else { pose.repeat }) - overlap
        };
        let mut at = Solved { pose: start.clone(), wire };
        let seen = self.look(start, wire);
        if !seen.is_right() {
            return None;
        }
        let (mut best, mut step, mut still) = (worth(start, wire, &seen), 0.1, 0);
        for _ in 0..MOST_STEPS {
            if step < SMALLEST || self.is_given_up() {
                break;
            }
            let Some(next) = self.stepped(&at, (aim, weighs), step, best, &worth) else {
                step *= 0.35;
                continue;
            };
            let gain = next.1 - best;
            (at, best) = next;
            if gain > 0.3 * step {
                step = (step * 1.6_f64).min(LARGEST);
            } else if gain < 0.05 * step {
                step *= 0.5;
            }
            still = if gain < NO_GAIN { still + 1 } else { 0 };
            if still > 2 {
                break;
            }
        }
        Some(at)
    }

    /// A step that is worth more than `best`, with its worth.
    fn stepped(
        &self,
        at: &Solved,
        (aim, weighs): (Aim, f64),
        step: f64,
        best: f64,
        worth: &dyn Fn(&Pose, f64, &Seen) -> f64,
    ) -> Option<(Solved, f64)> {
        let weighed = |(pose, wire): (Pose, f64)| {
            let seen = self.look(&pose, wire);
            let worth = worth(&pose, wire, &seen);
            seen.is_right().then_some((Solved { pose, wire }, worth))
        };
        let mut next = weighed(self.step(&at.pose, at.wire, (aim, weighs), step)?)?;
        if next.1 <= best + 1e-3 * step {
            // Constraints are bent: from where the step led, a smaller one often mends what it cut off.
            let mended = self.step(&next.0.pose, next.0.wire, (aim, weighs), 0.3 * step).and_then(weighed);
            if let Some(mended) = mended.filter(|mended| mended.1 > next.1) {
                next = mended;
            }
        }
        (next.1 > best).then_some(next)
    }

    /// The pose, and the wire, that a linear program over everything within a step of here leads to.
    fn step(&self, pose: &Pose, wire: f64, (aim, weighs): (Aim, f64), step: f64) -> Option<(Pose, f64)> {
        if self.is_given_up() {
            return None;
        }
        let mut program = Program::new(self.weave, pose, (aim, weighs), step);
        let reach = wire * self.thickest() + 4.0 * step;
        let mut touches = vec![];
        for pair in pose.pairs(self.weave, reach) {
            let (here, there) = pose.both(self.weave, &pair);
            let wrong = !pose.is_woven(self.weave, &pair, (&here, &there));
            if wrong && aim != Aim::Linked {
                return None;
            }
            let needs = self.needs(&pair);
            let within = (wire * needs + 4.0 * step, wire * needs + 0.5 * step);
            touches_of(&here, &there, wrong, &self.around, within, &mut touches);
            program.keep_apart(&pair, (&here, &there), &touches, wrong, (needs, wire));
        }
        for fold in &self.weave.folds {
            let Some(arc) = pose.fold_arc(self.weave, fold) else { continue };
            if arc < PI + FOLD_MARGIN + 6.0 * step {
                program.keep_folded(arc, |moved| moved.fold_arc(self.weave, fold));
            }
        }
        program.solved(wire)
    }
}

/// The linear program of one step.
struct Program<'a> {
    weave: &'a Weave,
    pose: &'a Pose,
    problem: Problem,
    /// Five of each ring, then the repeat, the breadth, the turn and the wire.
    unknowns: Vec<microlp::Variable>,
    /// The two directions each ring's axis tilts about.
    planes: Vec<(DVec3, DVec3)>,
    /// What a unit of falling short costs.
    cost: f64,
}

/// What an unknown beyond the rings' own is.
#[derive(Clone, Copy)]
enum Beyond {
    Repeat,
    Across,
    Turn,
    Wire,
}

impl<'a> Program<'a> {
    fn new(weave: &'a Weave, pose: &'a Pose, (aim, weighs): (Aim, f64), step: f64) -> Self {
        let mut problem = Problem::new(OptimizationDirection::Maximize);
        let free = weave.repeats == Repeats::Chain { turn_deg: None };
        let within = |may: bool| if may { (-step, step) } else { (0.0, 0.0) };
        let wanted = |is: bool| f64::from(u8::from(is));
        let mut unknowns: Vec<_> =
            (0..5 * weave.rings_n()).map(|_| problem.add_var(0.0, within(true))).collect();
        unknowns.push(problem.add_var(wanted(aim == Aim::Long), within(true)));
        unknowns.push(problem.add_var(0.0, within(weave.is_sheet())));
        unknowns.push(problem.add_var(0.0, within(free)));
        unknowns.push(problem.add_var(wanted(aim == Aim::Thick), within(aim == Aim::Thick)));
        let planes = pose.rings.iter().map(Torus::plane).collect();
        Self { weave, pose, problem, unknowns, planes, cost: OVERLAP_COSTS * weighs }
    }

    fn beyond(&self, which: Beyond) -> usize {
        5 * self.weave.rings_n() + which as usize
    }

    /// How a movement of a ring along `push` at an arm from its middle changes the constraint.
    fn push(&self, row: &mut [f64], ring: usize, push: DVec3, arm: DVec3) {
        let turning = arm.cross(push);
        let (one, other) = self.planes[ring];
        let of_ring = [push.x, push.y, push.z, turning.dot(one), turning.dot(other)];
        for (entry, change) in row[5 * ring..5 * ring + 5].iter_mut().zip(of_ring) {
            *entry += change;
        }
    }

    /// Where a pair touches, or soon would, it stays apart by what its wires need.
    fn keep_apart(
        &mut self,
        pair: &Pair,
        (here, there): (&Torus, &Torus),
        touches: &[Touch],
        wrong: bool,
        (needs, wire): (f64, f64),
    ) {
        if touches.is_empty() {
            return;
        }
        let side = if wrong { -1.0 } else { 1.0 };
        let (turn, _) = self.pose.cell(self.weave, pair.cells_along, pair.cells_across);
        let back = turn.transpose();
        let short = self.problem.add_var(-self.cost, (0.0, f64::INFINITY));
        for touch in touches {
            let push = side * (touch.here - touch.there) / touch.apart.max(1e-9);
            let mut row = vec![0.0; self.unknowns.len()];
            self.push(&mut row, pair.ring, push, touch.here - here.center);
            self.push(&mut row, pair.other, back * -push, back * (touch.there - there.center));
            row[self.beyond(Beyond::Repeat)] -= push.x * f64::from(pair.cells_along);
            row[self.beyond(Beyond::Across)] -= push.y * f64::from(pair.cells_across);
            row[self.beyond(Beyond::Turn)] -=
                push.dot(DVec3::X.cross(touch.there)) * f64::from(pair.cells_along);
            row[self.beyond(Beyond::Wire)] -= needs;
            self.at_least(&row, Some(short), wire * needs - side * touch.apart);
        }
    }

    /// A fold stays beyond half a turn, or comes nearer to it. How its arc changes is found by moving a little.
    fn keep_folded(&mut self, arc: f64, arc_of: impl Fn(&Pose) -> Option<f64>) {
        const LITTLE: f64 = 1e-6;
        let mut row = vec![0.0; self.unknowns.len()];
        for (i, entry) in row.iter_mut().enumerate().take(self.beyond(Beyond::Wire)) {
            let moved = self.moved_by(|j| if i == j { LITTLE } else { 0.0 });
            match arc_of(&moved) {
                Some(then) if (then - arc).abs() < 1e-3 => *entry = (then - arc) / LITTLE,
                _ => return,
            }
        }
        let short = self.problem.add_var(-self.cost, (0.0, f64::INFINITY));
        self.at_least(&row, Some(short), PI + FOLD_MARGIN - arc);
    }

    fn at_least(&mut self, row: &[f64], short: Option<microlp::Variable>, least: f64) {
        let mut sum = LinearExpr::empty();
        for (unknown, factor) in self.unknowns.iter().zip(row) {
            if factor.abs() > 1e-12 {
                sum.add(*unknown, *factor);
            }
        }
        if let Some(short) = short {
            sum.add(short, 1.0);
        }
        self.problem.add_constraint(sum, ComparisonOp::Ge, least);
    }

    /// The pose with every unknown changed by so much.
    fn moved_by(&self, change: impl Fn(usize) -> f64) -> Pose {
        let mut pose = self.pose.clone();
        for (i, ring) in pose.rings.iter_mut().enumerate() {
            let of = |k: usize| change(5 * i + k);
            ring.center += DVec3::new(of(0), of(1), of(2));
            let tilt = self.planes[i].0 * of(3) + self.planes[i].1 * of(4);
            ring.axis = (ring.axis + tilt.cross(ring.axis)).normalize();
        }
        pose.repeat += change(self.beyond(Beyond::Repeat));
        pose.across += change(self.beyond(Beyond::Across));
        pose.turn += change(self.beyond(Beyond::Turn));
        pose
    }

    fn solved(self, wire: f64) -> Option<(Pose, f64)> {
        let SolveOutcome::Solution(solution) = self.problem.solve().ok()? else { return None };
        let change = |i: usize| solution.var_value(self.unknowns[i]);
        let wire = wire + change(self.beyond(Beyond::Wire));
        Some((self.moved_by(change), wire))
    }
}
