//! A ring as a torus: its core circle, how near two of them come, and whether one goes through the other.
//!
//! Two rings of wire clear each other while their core circles stay at least half the sum of their wires apart. All
//! lengths are in one unit, whichever it is.

use std::f64::consts::TAU;

use glam::{DMat3, DVec3};
use serde::{Deserialize, Serialize};

/// The core circle of a ring.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
pub struct Torus {
    /// Its middle.
    pub center: DVec3,
    /// The direction it is turned about, of length 1.
    pub axis: DVec3,
    /// From the middle to the middle of its wire, in any unit of length, one for all.
    pub radius: f64,
}

/// Where two core circles come near each other.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Touch {
    /// On the first.
    pub here: DVec3,
    /// On the second, nearest to that.
    pub there: DVec3,
    /// From one to the other, in the unit of the circles.
    pub apart: f64,
}

/// Samples around a ring: cosine and sine of equal steps.
#[derive(Debug, Clone)]
pub struct Around(Vec<(f64, f64)>);

/// Share of a golden section.
const GOLDEN: f64 = 0.618_033_988_749_894_9;
/// Golden sections of a step between samples: the place is then known to a millionth of it.
const SECTIONS: u32 = 28;

impl Around {
    /// So many samples.
    #[must_use]
    pub fn of(n: u32) -> Self {
        Self((0..n).map(|i| (TAU * f64::from(i) / f64::from(n)).sin_cos()).map(|(s, c)| (c, s)).collect())
    }

    fn step(&self) -> f64 {
        TAU / self.0.len() as f64
    }
}

impl Torus {
    /// Two directions in its plane, at right angles.
    #[must_use]
    pub fn plane(&self) -> (DVec3, DVec3) {
        let one = self.axis.any_orthonormal_vector();
        (one, self.axis.cross(one))
    }

    /// The same turned and shifted.
    #[must_use]
    pub fn moved(&self, turn: &DMat3, shift: DVec3) -> Self {
        Self { center: *turn * self.center + shift, axis: *turn * self.axis, ..*self }
    }

    /// The point of it at an angle, radians, from the first of [`Torus::plane`].
    #[must_use]
    pub fn at(&self, angle: f64) -> DVec3 {
        let (one, other) = self.plane();
        self.center + (one * angle.cos() + other * angle.sin()) * self.radius
    }

    /// How far a point is from it.
    ///
    /// ```
    /// use glam::DVec3;
    /// use lorimant_core::chain::torus::Torus;
    ///
    /// let ring = Torus { center: DVec3::ZERO, axis: DVec3::Z, radius: 2.0 };
    /// assert!((ring.from(DVec3::new(5.0, 0.0, 4.0)) - 5.0).abs() < 1e-12);
    /// ```
    #[must_use]
    pub fn from(&self, point: DVec3) -> f64 {
        let off = point - self.center;
        let height = off.dot(self.axis);
        let out = (off.length_squared() - height * height).max(0.0).sqrt() - self.radius;
        height.hypot(out)
    }

    /// The point of it nearest to another.
    fn nearest(&self, point: DVec3) -> DVec3 {
        let off = point - self.center;
        let flat = off - self.axis * off.dot(self.axis);
        let out = flat.try_normalize().unwrap_or_else(|| self.plane().0);
        self.center + out * self.radius
    }

    /// Where this one goes through the disc of another, if it goes through it once: then the two are linked.
    ///
    /// ```
    /// use glam::DVec3;
    /// use lorimant_core::chain::torus::Torus;
    ///
    /// let flat = Torus { center: DVec3::ZERO, axis: DVec3::Z, radius: 1.0 };
    /// let upright = Torus { center: DVec3::X, axis: DVec3::Y, radius: 1.0 };
    /// // It goes through the middle of the flat one.
    /// assert!(upright.through(&flat).unwrap().length() < 1e-12);
    /// let beside = Torus { center: DVec3::X * 3.0, ..upright };
    /// assert!(beside.through(&flat).is_none());
    /// ```
    #[must_use]
    pub fn through(&self, disc: &Self) -> Option<DVec3> {
        let (one, other) = self.plane();
        let height = disc.axis.dot(self.center - disc.center);
        let (x, y) = (disc.axis.dot(one) * self.radius, disc.axis.dot(other) * self.radius);
        let reach = x.hypot(y);
        if reach <= height.abs() {
            return None;
        }
        let (middle, half) = (y.atan2(x), (-height / reach).acos());
        let [first, second] = [middle - half, middle + half]
            .map(|angle| self.center + (one * angle.cos() + other * angle.sin()) * self.radius);
        let inside = |at: DVec3| at.distance_squared(disc.center) < disc.radius * disc.radius;
        match (inside(first), inside(second)) {
            (true, false) => Some(first),
            (false, true) => Some(second),
            _ => None,
        }
    }

    /// Whether one goes through the other.
    #[must_use]
    pub fn linked(&self, other: &Self) -> bool {
        self.through(other).is_some()
    }

    /// Whether it goes through the disc of another along that one's axis, where both are followed the right-handed way round
    /// their axes: the sign of their linking number. `None` where they are not linked.
    ///
    /// ```
    /// use glam::DVec3;
    /// use lorimant_core::chain::torus::Torus;
    ///
    /// let flat = Torus { center: DVec3::ZERO, axis: DVec3::Z, radius: 1.0 };
    /// let upright = Torus { center: DVec3::X, axis: DVec3::Y, radius: 1.0 };
    /// // Which is named first does not matter; turned over, one goes the other way.
    /// let over = Torus { axis: -DVec3::Y, ..upright };
    /// assert_eq!(upright.goes_along(&flat), flat.goes_along(&upright));
    /// assert_eq!(over.goes_along(&flat), upright.goes_along(&flat).map(|along| !along));
    /// ```
    #[must_use]
    pub fn goes_along(&self, disc: &Self) -> Option<bool> {
        let at = self.through(disc)?;
        Some(disc.axis.dot(self.axis.cross(at - self.center)) > 0.0)
    }

    /// The angle of a point around it, radians, 0 to 2π, from the first of [`Torus::plane`].
    #[must_use]
    pub fn angle_of(&self, point: DVec3) -> f64 {
        let ((one, other), off) = (self.plane(), point - self.center);
        off.dot(other).atan2(off.dot(one)).rem_euclid(TAU)
    }

    /// The least distance between the two core circles.
    ///
    /// ```
    /// use glam::DVec3;
    /// use lorimant_core::chain::torus::{Around, Torus};
    ///
    /// let one = Torus { center: DVec3::ZERO, axis: DVec3::Z, radius: 1.0 };
    /// let over = Torus { center: DVec3::Z * 0.3, ..one };
    /// assert!((one.clearance(&over, &Around::of(64)) - 0.3).abs() < 1e-12);
    /// ```
    #[must_use]
    pub fn clearance(&self, other: &Self, around: &Around) -> f64 {
        let mut touches = vec![];
        self.touches(other, around, f64::MAX, 0.0, &mut touches);
        touches.iter().map(|touch| touch.apart).fold(f64::MAX, f64::min)
    }

    /// Adds where the two come near each other: every local minimum of the distance below `reach`, and every sample
    /// below `band`, since rings that lie on each other touch along an arc.
    pub fn touches(&self, other: &Self, around: &Around, reach: f64, band: f64, into: &mut Vec<Touch>) {
        let (one, two) = self.plane();
        let at = |(c, s): (f64, f64)| self.center + (one * c + two * s) * self.radius;
        let apart: Vec<f64> = around.0.iter().map(|angle| other.from(at(*angle))).collect();
        let (n, step) = (apart.len(), around.step());
        let mut add = |here: DVec3| {
            let there = other.nearest(here);
            into.push(Touch { here, there, apart: here.distance(there) });
        };
        let mut some = false;
        for (i, &mine) in apart.iter().enumerate() {
            let (before, after) = (apart[(i + n - 1) % n], apart[(i + 1) % n]);
            // Between samples it can come nearer by half a step at most.
            if mine <= before && mine < after {
                some = true;
            }
            if mine <= before && mine < after && mine < reach + 0.5 * step * self.radius {
                let angle = least(step * i as f64, step, |angle| {
                    let (s, c) = angle.sin_cos();
                    other.from(at((c, s)))
                });
                let (s, c) = angle.sin_cos();
                if other.from(at((c, s))) < reach {
                    add(at((c, s)));
                }
            } else if mine < band {
                add(at(around.0[i]));
            }
        }
        // Rings about one axis are equally near all around.
        if !some && apart[0] < reach {
            add(at(around.0[0]));
        }
    }
}

/// Where a function with one low point near `middle` is least, by golden section over a step to either side.
fn least(middle: f64, step: f64, at: impl Fn(f64) -> f64) -> f64 {
    let (mut low, mut high) = (middle - step, middle + step);
    let (mut left, mut right) = (high - GOLDEN * (high - low), low + GOLDEN * (high - low));
    let (mut at_left, mut at_right) = (at(left), at(right));
    for _ in 0..SECTIONS {
        if at_left < at_right {
            (high, right, at_right) = (right, left, at_left);
            left = high - GOLDEN * (high - low);
            at_left = at(left);
        } else {
            (low, left, at_left) = (left, right, at_right);
            right = low + GOLDEN * (high - low);
            at_right = at(right);
        }
    }
    f64::midpoint(low, high)
}
