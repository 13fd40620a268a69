//! What a viewer sees of a finding: its wire with the real thickness, near parts over far ones.

use glam::{DVec2, DVec3};
use kurbo::{BezPath, Point};

use super::path::Path;
use crate::drawing::{Role, Sketch};

/// From where a piece is looked at.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Side {
    /// From the front: the plane most findings lie in.
    Front,
    /// From the right.
    Right,
}

impl Side {
    /// A place in space on the paper, y down, mm.
    ///
    /// ```
    /// use glam::DVec3;
    /// use lorimant_core::shape::view::Side;
    ///
    /// // Paper runs down, the bench runs up.
    /// let at = Side::Front.paper(DVec3::new(2.0, 3.0, 9.0));
    /// assert_eq!((at.x, at.y), (2.0, -3.0));
    /// ```
    pub fn paper(self, at: DVec3) -> DVec2 {
        match self {
            Self::Front => DVec2::new(at.x, -at.y),
            Self::Right => DVec2::new(-at.z, -at.y),
        }
    }

    /// How near the viewer it is, mm.
    fn depth(self, at: DVec3) -> f64 {
        match self {
            Self::Front => at.z,
            Self::Right => at.x,
        }
    }
}

/// A short stretch of the centreline on paper, as one cubic.
#[derive(Debug, Clone, Copy)]
struct Cubic {
    from: DVec2,
    handle: DVec2,
    back: DVec2,
    to: DVec2,
    depth: (f64, f64),
    along: (f64, f64),
    segment: usize,
}

/// A wire seen from one side: runs between the places where it turns back on itself in this view.
#[derive(Debug, Clone)]
struct Run {
    cubics: Vec<Cubic>,
}

impl Run {
    fn depth(&self) -> f64 {
        let weigh = |c: &Cubic| c.along.1 - c.along.0;
        let whole: f64 = self.cubics.iter().map(weigh).sum();
        let sum: f64 = self.cubics.iter().map(|c| weigh(c) * f64::midpoint(c.depth.0, c.depth.1)).sum();
        if whole > 0.0 { sum / whole } else { 0.0 }
    }

    fn length(&self) -> f64 {
        self.cubics.iter().map(|c| c.along.1 - c.along.0).sum()
    }
}

fn point(at: DVec2) -> Point {
    Point::new(at.x, at.y)
}

fn bez<'a>(cubics: impl IntoIterator<Item = &'a Cubic>) -> BezPath {
    let mut path = BezPath::new();
    for (i, cubic) in cubics.into_iter().enumerate() {
        if i == 0 {
            path.move_to(point(cubic.from));
        }
        let straight = (cubic.to - cubic.from).perp_dot(cubic.handle - cubic.from).abs() < 1e-9
            && (cubic.to - cubic.from).perp_dot(cubic.back - cubic.from).abs() < 1e-9;
        if straight {
            path.line_to(point(cubic.to));
        } else {
            path.curve_to(point(cubic.handle), point(cubic.back), point(cubic.to));
        }
    }
    path
}

/// The centreline on paper between two distances along it, as cubics that follow it to a few
/// millionths of its size.
fn cubics(path: &Path, side: Side, from_mm: f64, to_mm: f64) -> Vec<Cubic> {
    let mut cubics = vec![];
    for placed in &path.placed {
        let (start, end) = (placed.from_mm.max(from_mm), (placed.from_mm + placed.length_mm).min(to_mm));
        if end - start < 1e-9 {
            continue;
        }
        let share = |mm: f64| (mm - placed.from_mm) / placed.length_mm;
        let (u0, u1) = (share(start), share(end));
        // A sixteenth of a turn each.
        let n = (placed.curve.angle() * (u1 - u0) / (std::f64::consts::TAU / 16.0) - 1e-9)
            .ceil()
            .clamp(1.0, 2000.0);
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "1 to 2000")]
        let steps = n as u32;
        let mut last = placed.at(u0);
        for i in 1..=steps {
            let (a, b) = (u0 + (u1 - u0) * f64::from(i - 1) / n, u0 + (u1 - u0) * f64::from(i) / n);
            let here = placed.at(b);
            let third = (b - a) / 3.0;
            let paper = |at: DVec3| side.paper(at);
            cubics.push(Cubic {
                from: paper(last.0),
                handle: paper(last.0 + last.1 * third),
                back: paper(here.0 - here.1 * third),
                to: paper(here.0),
                depth: (side.depth(last.0), side.depth(here.0)),
                along: (placed.from_mm + placed.length_mm * a, placed.from_mm + placed.length_mm * b),
                segment: placed.index,
            });
            last = here;
        }
    }
    cubics
}

/// Splits where the wire turns back on itself in this view: there a coil passes from front to back.
fn runs(cubics: Vec<Cubic>, thickness: f64) -> Vec<Run> {
    let mut runs: Vec<Run> = vec![];
    for cubic in cubics {
        let turns_back = |last: &Cubic| {
            let (a, b) = (last.to - last.back, cubic.handle - cubic.from);
            let foreshortened = |v: DVec2, c: &Cubic| 3.0 * v.length() < 0.45 * (c.along.1 - c.along.0);
            let steep = foreshortened(a, last) && foreshortened(b, &cubic);
            let moved = (last.depth.1 - last.depth.0).abs() > 0.02 * thickness;
            (steep && moved) || a.dot(b) < -0.2 * a.length() * b.length()
        };
        match runs.last_mut() {
            Some(run) if !run.cubics.last().is_some_and(turns_back) => run.cubics.push(cubic),
            _ => runs.push(Run { cubics: vec![cubic] }),
        }
    }
    runs
}

/// Where two stretches of one run cross on paper: the distance along the nearer one.
fn crossings(run: &Run, thickness: f64) -> Vec<f64> {
    let mut found = vec![];
    for (i, a) in run.cubics.iter().enumerate() {
        let (low, high) = (a.from.min(a.to), a.from.max(a.to));
        for b in run.cubics.iter().skip(i + 2) {
            let (low_b, high_b) = (b.from.min(b.to), b.from.max(b.to));
            if low.x > high_b.x || low_b.x > high.x || low.y > high_b.y || low_b.y > high.y {
                continue;
            }
            let (r, s, gap) = (a.to - a.from, b.to - b.from, b.from - a.from);
            let det = r.perp_dot(s);
            if det.abs() < 1e-12 {
                continue;
            }
            let (t, u) = (gap.perp_dot(s) / det, gap.perp_dot(r) / det);
            if !(0.0..=1.0).contains(&t) || !(0.0..=1.0).contains(&u) {
                continue;
            }
            let between = |(from, to): (f64, f64), t: f64| from + (to - from) * t;
            let (depth_a, depth_b) = (between(a.depth, t), between(b.depth, u));
            if (depth_a - depth_b).abs() > 0.3 * thickness {
                let (along_a, along_b) = (between(a.along, t), between(b.along, u));
                found.push(if depth_a > depth_b { along_a } else { along_b });
            }
        }
    }
    found
}

/// How much of a half turn a coil's front is followed round its side, as a share of it.
const ROUND_THE_SIDE: f64 = 0.22;

/// What is drawn at once, at one depth: stretches of wire, each over those before it, with round ends or flat ones.
struct Layer {
    depth: f64,
    stretches: Vec<(Vec<Cubic>, bool)>,
}

/// The fronts of coils: runs that lie nearer than those before and behind them, in groups that follow on each other.
fn fronts(runs: &[Run], thickness: f64) -> Vec<Vec<usize>> {
    let depths: Vec<f64> = runs.iter().map(Run::depth).collect();
    let nearer = |i: usize, other: usize| depths[i] > depths[other] + 0.25 * thickness;
    let front = |i: usize| {
        let before = i.checked_sub(1);
        let after = (i + 1 < runs.len()).then_some(i + 1);
        before.into_iter().chain(after).all(|other| nearer(i, other)) && runs.len() > 1
    };
    let mut groups: Vec<Vec<usize>> = vec![];
    for i in (0..runs.len()).filter(|i| front(*i)) {
        match groups.last_mut() {
            Some(group) if group.last() == Some(&(i.wrapping_sub(2))) => group.push(i),
            _ => groups.push(vec![i]),
        }
    }
    groups
}

/// The front of a coil. At one side each turn goes behind the next, at the other it comes from behind the last: what
/// comes round the side is drawn first, then turn after turn, each over what of it goes round the other side.
fn coil(path: &Path, side: Side, runs: &[Run], group: &[usize]) -> Layer {
    let span = |i: usize| {
        let cubics = &runs[i].cubics;
        let from = cubics.first().map_or(0.0, |cubic| cubic.along.0);
        let to = cubics.last().map_or(from, |cubic| cubic.along.1);
        (from, to, ROUND_THE_SIDE * (to - from))
    };
    let coming = group.iter().rev().map(|i| {
        let (from, _, round) = span(*i);
        (cubics(path, side, from - round, from + 0.2 * round), false)
    });
    let going = group.iter().flat_map(|i| {
        let (from, to, round) = span(*i);
        let behind = cubics(path, side, to - 0.2 * round, to + round);
        [(behind, false), (cubics(path, side, from, to), false)]
    });
    #[expect(clippy::cast_precision_loss, reason = "a few turns")]
    let depth = group.iter().map(|i| runs[*i].depth()).sum::<f64>() / group.len() as f64;
    Layer { depth, stretches: coming.chain(going).collect() }
}

/// Draws the wire as seen from a side, far parts first, so that each later shape lies over the
/// earlier ones. Gives the runs' own paths too, segment by segment, for pointing at them.
pub(crate) fn draw(path: &Path, side: Side, sketch: &mut Sketch) -> Vec<(usize, BezPath)> {
    let profile = path.profile;
    let width = match side {
        Side::Front => profile.thickness_mm(),
        Side::Right => profile.size_mm,
    };
    let all = cubics(path, side, 0.0, path.length_mm);
    let parts = parts(&all);
    let runs = runs(all, width);
    let longest = runs.iter().map(Run::length).fold(0.0, f64::max);
    let groups = fronts(&runs, width);
    let in_front: Vec<usize> = groups.iter().flatten().copied().collect();
    let mut layers: Vec<Layer> = groups.iter().map(|group| coil(path, side, &runs, group)).collect();
    for (_, run) in runs.iter().enumerate().filter(|(i, _)| !in_front.contains(i)) {
        // Where a wire turns from front to back its round side shows; its own ends are flat.
        let round = run.length() < longest - 1e-9;
        let over = crossings(run, width)
            .into_iter()
            .map(|near| (cubics(path, side, near - 1.15 * width, near + 1.15 * width), false));
        let stretches = std::iter::once((run.cubics.clone(), round)).chain(over).collect();
        layers.push(Layer { depth: run.depth(), stretches });
    }
    layers.sort_by(|a, b| a.depth.total_cmp(&b.depth));
    for (stretch, round) in layers.iter().flat_map(|layer| &layer.stretches) {
        if *round {
            sketch.round_wire(Role::Wire, &bez(stretch), width);
        } else {
            sketch.wire(Role::Wire, &bez(stretch), width);
        }
    }
    parts
}

fn parts(all: &[Cubic]) -> Vec<(usize, BezPath)> {
    let mut parts: Vec<(usize, Vec<&Cubic>)> = vec![];
    for cubic in all {
        match parts.last_mut() {
            Some((segment, list)) if *segment == cubic.segment => list.push(cubic),
            _ => parts.push((cubic.segment, vec![cubic])),
        }
    }
    parts.into_iter().map(|(segment, list)| (segment, bez(list))).collect()
}

/// The whole centreline as seen from the front, as one path.
pub fn centreline(path: &Path) -> BezPath {
    bez(&cubics(path, Side::Front, 0.0, path.length_mm))
}
