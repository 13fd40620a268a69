//! The line of pull: where neighbours touch a piece, and how far its wire runs from the line through the two.
//!
//! The moment along the wire is the force times its distance from that line. What opens first is where that is greatest
//! against what the section bears there, be it a bend or a straight.

use glam::DVec3;
use kurbo::common::solve_itp;

use super::form::FormedPiece;
use crate::shape::path::Placed;

/// Where a neighbour holds on.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum PullPoint {
    /// Inside a bend or loop: it slides to where the pull drags it.
    In(usize),
    /// Inside a loop that is closed for good, which itself does not open.
    Closed(usize),
    /// At a place along a segment, as a share of it.
    At(usize, f64),
}

impl PullPoint {
    fn segment(self) -> usize {
        match self {
            Self::In(segment) | Self::Closed(segment) | Self::At(segment, _) => segment,
        }
    }
}

/// Points that a bend is looked at in.
const POINTS: u32 = 48;
/// Rounds until both neighbours lie still; each only shortens the way that is left.
const ROUNDS: usize = 40;

/// A segment that a neighbour holds on to.
struct Held<'a> {
    placed: &'a Placed,
    hold: PullPoint,
    /// Points along it, evenly.
    points: Vec<DVec3>,
}

impl<'a> Held<'a> {
    fn new(placed: &'a Placed, hold: PullPoint) -> Self {
        let points = (0..=POINTS).map(|i| placed.at(f64::from(i) / f64::from(POINTS)).0);
        Self { placed, hold, points: points.collect() }
    }

    /// Where the neighbour lies, as a share of the segment, when it is dragged one way.
    fn dragged(&self, way: DVec3) -> f64 {
        if let PullPoint::At(_, share) = self.hold {
            return share;
        }
        let ahead = (0..=POINTS).zip(&self.points).map(|(i, point)| (i, point.dot(way)));
        let best =
            ahead.max_by(|a, b| a.1.total_cmp(&b.1)).map_or(0.5, |(i, _)| f64::from(i) / f64::from(POINTS));
        // Between the two points beside it the wire runs across the pull where it is farthest.
        let step = 1.0 / f64::from(POINTS);
        let (low, high) = ((best - step).max(0.0), (best + step).min(1.0));
        let behind = |share: f64| -self.placed.at(share).1.dot(way);
        let (at_low, at_high) = (behind(low), behind(high));
        if at_low < 0.0 && at_high > 0.0 {
            solve_itp(behind, low, high, 1e-10, 1, 0.2 / (high - low), at_low, at_high)
        } else {
            // At an end of the bend.
            best
        }
    }
}

/// The two holds, their segments, and where along each the neighbour lies, as a share of it.
type LineOfPull<'a> = ((PullPoint, PullPoint), &'a Placed, &'a Placed, (f64, f64));

impl FormedPiece<'_> {
    /// Every segment that carries the pull, with the arm of the pull there: the greatest distance of its middle line
    /// from the line of pull, mm. Empty where nothing of it opens.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let ring = PatternRequest::usual("round-ring".parse().unwrap());
    /// let formed = ring.form().unwrap();
    /// // A ring with its gap at the side: the arm is the mean radius.
    /// let mean = (ring.value("inside_mm") + ring.wire.size_mm) / 2.0;
    /// assert!((formed.arms()[0].1 - mean).abs() < 1e-6);
    /// ```
    pub fn arms(&self) -> &[(usize, f64)] {
        self.arms.get_or_init(|| self.find_arms().unwrap_or_default())
    }

    /// How far apart its neighbours hold it: what it adds to the length of a chain, mm. `None` where nothing pulls on it.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let ring = PatternRequest::usual("round-ring".parse().unwrap());
    /// // A ring adds its inside, less half a wire's way at either end to where its own wire's middle runs.
    /// let (inside, wire) = (ring.value("inside_mm"), ring.wire.size_mm);
    /// assert!((ring.form().unwrap().pull_mm().unwrap() - inside).abs() < wire);
    /// ```
    #[must_use]
    pub fn pull_mm(&self) -> Option<f64> {
        let (_, first, last, (a, b)) = self.line_of_pull()?;
        // Neighbours lie against the inside of its wire.
        let between = first.at(a).0.distance(last.at(b).0) - self.request.wire.profile().thickness_mm();
        (between > 0.0).then_some(between)
    }

    /// Where neighbours hold.
    fn line_of_pull(&self) -> Option<LineOfPull<'_>> {
        let (mut near, mut far) = self.design.pull?;
        if near.segment() > far.segment() {
            (near, far) = (far, near);
        }
        let placed = |hold: PullPoint| self.path.placed.iter().find(|placed| placed.index == hold.segment());
        let (first, last) = (placed(near)?, placed(far)?);
        let middle = |hold: PullPoint| if let PullPoint::At(_, share) = hold { share } else { 0.5 };
        let (mut a, mut b) = (middle(near), middle(far));
        let line = |a: f64, b: f64| {
            let (from, to) = (first.at(a).0, last.at(b).0);
            Some((from, (to - from).try_normalize()?))
        };
        let held = (Held::new(first, near), Held::new(last, far));
        for _ in 0..ROUNDS {
            let (_, way) = line(a, b)?;
            let moved = (held.0.dragged(-way), held.1.dragged(way));
            if (moved.0 - a).abs() + (moved.1 - b).abs() < 1e-8 {
                break;
            }
            (a, b) = moved;
        }
        Some(((near, far), first, last, (a, b)))
    }

    fn find_arms(&self) -> Option<Vec<(usize, f64)>> {
        let ((near, far), first, last, (a, b)) = self.line_of_pull()?;
        let from = first.at(a).0;
        let way = (last.at(b).0 - from).try_normalize()?;
        let carrying = self.path.placed.iter().filter(|placed| {
            let within = (near.segment()..=far.segment()).contains(&placed.index);
            let closed = |hold: PullPoint| hold == PullPoint::Closed(placed.index);
            within && placed.length_mm > 0.0 && !closed(near) && !closed(far)
        });
        let arms = carrying.map(|placed| {
            let start = if placed.index == near.segment() { a } else { 0.0 };
            let end = if placed.index == far.segment() { b } else { 1.0 };
            let at = |i: u32| start + (end - start) * f64::from(i) / f64::from(POINTS);
            let away = |share: f64| (placed.at(share).0 - from).cross(way).length();
            (placed.index, (0..=POINTS).map(at).map(away).fold(0.0, f64::max))
        });
        Some(arms.filter(|(_, arm)| *arm > LEAST_ARM_MM).collect())
    }
}

/// Wire this near the line of pull is stretched rather than bent, mm.
const LEAST_ARM_MM: f64 = 0.02;
