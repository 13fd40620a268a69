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
    let mut runs = runs(all, width);
    let longest = runs.iter().map(Run::length).fold(0.0, f64::max);
    runs.sort_by(|a, b| a.depth().total_cmp(&b.depth()));
    for run in &runs {
        // Where a coil turns from front to back its round side shows; the wire's own ends are flat.
        let whole = run.length() >= longest - 1e-9;
        if whole {
            sketch.wire(Role::Wire, &bez(&run.cubics), width);
        } else {
            sketch.round_wire(Role::Wire, &bez(&run.cubics), width);
        }
        for near in crossings(run, width) {
            let over = cubics(path, side, near - 1.15 * width, near + 1.15 * width);
            sketch.wire(Role::Wire, &bez(&over), width);
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
