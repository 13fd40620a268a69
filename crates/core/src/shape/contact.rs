//! Where wire meets wire.

use std::ops::Range;

use glam::DVec3;

use super::path::Path;

/// Share of the wire's thickness that two stretches may sink into each other before it counts:
/// close wraps, counted at one wire's pitch, sink in by a hundredth of it.
pub const SINK: f64 = 0.05;

/// A place where the wire runs through itself.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Through {
    /// The earlier segment.
    pub first: usize,
    /// The later segment.
    pub second: usize,
    /// Distance of the two centrelines there, mm.
    pub apart_mm: f64,
    /// Where, mm.
    pub at: DVec3,
}

/// Every pair of segments that run through each other, each where it is worst.
///
/// Two places count only if the wire between them first leads more than its own thickness away: the
/// near neighbours of a place are always close to it. The ends of the wire are flat, not round, so
/// there the rim of the end face is looked at instead of the centreline.
///
/// ```
/// use lorimant_core::shape::contact::through_itself;
/// use lorimant_core::shape::path::{Frame, Path};
/// use lorimant_core::shape::{Course, Segment};
/// use lorimant_core::wire::section::{Profile, Section};
///
/// let round = Profile { section: Section::Round, size_mm: 1.0 };
/// let knot = [
///     Segment::new("leg", Course::straight(10.0)),
///     Segment::new("loop", Course::left(3.0, 270.0)),
///     Segment::new("leg", Course::straight(10.0)),
/// ];
/// // A flat loop that goes on crosses its own leg.
/// assert!(!through_itself(&Path::follow(&knot, round, Frame::default())).is_empty());
/// assert!(through_itself(&Path::follow(&knot[..1], round, Frame::default())).is_empty());
/// ```
pub fn through_itself(path: &Path) -> Vec<Through> {
    let thickness = path.profile.thickness_mm();
    let limit = thickness * (1.0 - SINK);
    let step = thickness / 2.0;
    let points = path.points(step);
    let inner = |i: usize| points[i].0 > thickness && points[i].0 < path.length_mm - thickness;
    let away: Vec<usize> = (0..points.len()).map(|i| leads_away(&points, i, thickness)).collect();
    let boxes = boxes(&points);
    let mut found: Vec<Through> = vec![];
    for (a, here) in boxes.iter().enumerate() {
        for there in boxes[a..].iter().filter(|there| here.apart_mm(there) < limit) {
            for i in here.points.clone().filter(|i| inner(*i)) {
                let from = there.points.start.max(away[i]);
                for j in (from..there.points.end).filter(|j| inner(*j)) {
                    // Two stretches of a step each reach no further than their points are apart.
                    if points[i].1.distance(points[j].1) > limit + 2.0 * step {
                        continue;
                    }
                    let apart = segments_apart(points[i].1, points[i + 1].1, points[j].1, points[j + 1].1);
                    if apart < limit {
                        let (first, second) = (points[i].2, points[j].2);
                        note(&mut found, Through { first, second, apart_mm: apart, at: points[i].1 });
                    }
                }
            }
        }
    }
    let turned: Vec<Point> = points.iter().rev().copied().collect();
    for (points, back) in [(&points, false), (&turned, true)] {
        end_through(path, points, back, &mut found);
    }
    found
}

type Point = (f64, DVec3, usize);

/// Where the wire has first led more than its own thickness away from a place and the next; behind the last point
/// where it never does.
fn leads_away(points: &[Point], i: usize, thickness: f64) -> usize {
    let next = points[(i + 1).min(points.len() - 1)].1;
    let away =
        |j: &usize| points[i].1.distance(points[*j].1) > thickness && next.distance(points[*j].1) > thickness;
    (i + 1..points.len()).find(away).map_or(points.len(), |j| j + 1)
}

/// A box around a few points in a row, and the one that follows them. Far pairs of boxes are passed over whole, which is
/// what makes a coil of many turns quick.
struct Boxed {
    points: Range<usize>,
    least: DVec3,
    most: DVec3,
}

impl Boxed {
    /// Distance of two boxes, mm; 0 where they overlap.
    fn apart_mm(&self, other: &Self) -> f64 {
        (self.least - other.most).max(other.least - self.most).max(DVec3::ZERO).length()
    }
}

fn boxes(points: &[Point]) -> Vec<Boxed> {
    let last = points.len().saturating_sub(1);
    let starts = (0..last).step_by(8);
    let around = starts.map(|from| {
        let to = (from + 8).min(last);
        let least = points[from..=to].iter().fold(DVec3::INFINITY, |least, point| least.min(point.1));
        let most = points[from..=to].iter().fold(DVec3::NEG_INFINITY, |most, point| most.max(point.1));
        Boxed { points: from..to, least, most }
    });
    around.collect()
}

fn note(found: &mut Vec<Through>, through: Through) {
    let (first, second) = (through.first.min(through.second), through.first.max(through.second));
    let through = Through { first, second, ..through };
    match found.iter_mut().find(|f| f.first == first && f.second == second) {
        Some(worst) if worst.apart_mm > through.apart_mm => *worst = through,
        Some(_) => {}
        None => found.push(through),
    }
}

/// Looks whether the last thickness of the wire at one end runs into another part of it.
fn end_through(path: &Path, points: &[Point], back: bool, found: &mut Vec<Through>) {
    let thickness = path.profile.thickness_mm();
    for step in 0..3 {
        let in_mm = thickness * f64::from(step) / 3.0;
        let along = if back { path.length_mm - in_mm } else { in_mm };
        let (centre, ahead) = path.along(along);
        let across = ahead.any_orthonormal_vector();
        let other = ahead.cross(across);
        let rim = (0..24).map(|i| {
            let (sin, cos) = (std::f64::consts::TAU * f64::from(i) / 24.0).sin_cos();
            centre + (across * cos + other * sin) * (thickness / 2.0)
        });
        let rim: Vec<DVec3> = rim.chain([centre]).collect();
        let own = points.first().map_or(0, |point| point.2);
        let mut away = false;
        for pair in points.windows(2) {
            away |= pair[0].1.distance(centre) > thickness;
            if !away || (pair[0].0 - along).abs() < thickness {
                continue;
            }
            if pair[0].1.distance(centre) > 2.0 * thickness + pair[0].1.distance(pair[1].1) {
                continue;
            }
            for point in &rim {
                let apart = segments_apart(*point, *point, pair[0].1, pair[1].1);
                if apart < thickness * (0.5 - SINK) {
                    note(found, Through { first: own, second: pair[0].2, apart_mm: apart, at: *point });
                }
            }
        }
    }
}

/// Smallest distance between the centrelines of two segments, mm; endless where one has none.
pub fn apart_mm(path: &Path, first: usize, second: usize) -> f64 {
    let points = path.points(path.profile.thickness_mm() / 3.0);
    let of =
        |index: usize| points.iter().filter(move |point| point.2 == index).map(|point| point.1).collect();
    let (a, b): (Vec<DVec3>, Vec<DVec3>) = (of(first), of(second));
    let mut least = f64::INFINITY;
    for s in a.windows(2) {
        for t in b.windows(2) {
            least = least.min(segments_apart(s[0], s[1], t[0], t[1]));
        }
    }
    least
}

/// Distance of two straight stretches (the closest points of two segments, clamped to their ends).
pub fn segments_apart(a: DVec3, b: DVec3, c: DVec3, d: DVec3) -> f64 {
    let (u, v, w) = (b - a, d - c, a - c);
    let (uu, uv, vv, uw, vw) = (u.dot(u), u.dot(v), v.dot(v), u.dot(w), v.dot(w));
    let det = uu * vv - uv * uv;
    let mut s = if uu <= 0.0 {
        0.0
    } else if det > 1e-14 * uu * vv {
        ((uv * vw - vv * uw) / det).clamp(0.0, 1.0)
    } else {
        0.0
    };
    let mut t = if vv > 0.0 { (uv * s + vw) / vv } else { 0.0 };
    if !(0.0..=1.0).contains(&t) {
        t = t.clamp(0.0, 1.0);
        s = if uu > 0.0 { ((uv * t - uw) / uu).clamp(0.0, 1.0) } else { 0.0 };
    }
    (w + u * s - v * t).length()
}
