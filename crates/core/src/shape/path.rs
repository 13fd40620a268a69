//! The wire's centreline, followed with a moving frame.

use std::f64::consts::{FRAC_PI_2, TAU};

use glam::{DMat3, DVec3};

use super::Segment;
use crate::wire::section::Profile;

/// A place on the wire: where it is, and which way it runs. Right-handed; `left` and `up` are kept
/// from twisting about the wire.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Frame {
    /// Where, mm.
    pub at: DVec3,
    /// Columns: ahead, left, up.
    pub axes: DMat3,
}

impl Default for Frame {
    fn default() -> Self {
        Self { at: DVec3::ZERO, axes: DMat3::IDENTITY }
    }
}

impl Frame {
    /// The way the wire runs.
    pub fn ahead(&self) -> DVec3 {
        self.axes.x_axis
    }

    /// A frame at the origin whose wire runs in the drawing's plane at an angle from the right,
    /// counter-clockwise, degrees.
    ///
    /// ```
    /// use lorimant_core::shape::path::Frame;
    ///
    /// let up = Frame::heading(90.0).ahead();
    /// assert!((up.y - 1.0).abs() < 1e-12);
    /// ```
    pub fn heading(deg: f64) -> Self {
        Self { at: DVec3::ZERO, axes: DMat3::from_rotation_z(deg.to_radians()) }
    }

    /// A place given in this frame, in space.
    fn place(&self, local: DVec3) -> DVec3 {
        self.at + self.axes * local
    }
}

/// A centreline in its own frame: it starts at the origin, runs along x, and turns towards y before
/// it is rolled.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Curve {
    /// Straight.
    Line {
        /// mm.
        length: f64,
    },
    /// A turn about an axis: circle, helix, flat spiral or cone, by how radius and rise change.
    Turn {
        /// Mean radius at the start, mm.
        from: f64,
        /// Mean radius at the end, mm.
        to: f64,
        /// Angle turned, radians.
        angle: f64,
        /// Climb along the axis, mm.
        rise: f64,
        /// Roll of the plane about the wire, radians.
        roll: f64,
    },
    /// Once round an oval, from the end of its short axis.
    Oval {
        /// Half the long axis inside, mm.
        long: f64,
        /// Half the short axis inside, mm.
        short: f64,
        /// Distance of the centreline from the inside, mm.
        away: f64,
        /// Its length, mm.
        length: f64,
    },
}

impl Curve {
    /// Its length, mm, in closed form (an oval's: its perimeter and `2π` times its distance).
    ///
    /// A turn: `∫ sqrt(r² + r'² + c²) da` with `c` the climb a radian; with `q² = r'² + c²` that is
    /// `[r·sqrt(r² + q²) + q²·asinh(r/q)]/(2r')`, or `a·sqrt(r² + c²)` where the radius stays.
    ///
    /// ```
    /// use lorimant_core::shape::path::Curve;
    ///
    /// assert_eq!(Curve::Line { length: 12.0 }.length(), 12.0);
    /// assert_eq!(Curve::Line { length: 12.0 }.angle(), 0.0);
    /// ```
    pub fn length(&self) -> f64 {
        match *self {
            Self::Line { length } | Self::Oval { length, .. } => length,
            Self::Turn { from, to, angle, rise, .. } => {
                if angle <= 0.0 {
                    return 0.0;
                }
                let (k, c) = ((to - from) / angle, rise / angle);
                if k.abs() < 1e-12 {
                    return angle * from.hypot(c);
                }
                let q = k.hypot(c);
                let sum = |r: f64| 0.5 * (r * r.hypot(q) + q * q * (r / q).asinh());
                (sum(to) - sum(from)) / k
            }
        }
    }

    /// The same line from its other end.
    pub fn reversed(self) -> Self {
        match self {
            Self::Turn { from, to, angle, rise, roll } => {
                Self::Turn { from: to, to: from, angle, rise, roll: -roll }
            }
            other => other,
        }
    }

    /// Angle turned, radians.
    pub fn angle(&self) -> f64 {
        match *self {
            Self::Line { .. } => 0.0,
            Self::Turn { angle, .. } => angle,
            Self::Oval { .. } => TAU,
        }
    }

    /// Place and direction (not of unit length: its derivative by `u`) at a share `u` of the way.
    pub fn at(&self, u: f64) -> (DVec3, DVec3) {
        match *self {
            Self::Line { length } => (DVec3::X * (length * u), DVec3::X * length),
            Self::Turn { from, to, angle, rise, roll } => {
                let k = if angle > 0.0 { (to - from) / angle } else { 0.0 };
                let start = -from.atan2(k);
                let a = angle * u;
                let r = from + k * a;
                let (sin, cos) = (start + a).sin_cos();
                let (sin0, cos0) = start.sin_cos();
                let out = DVec3::new(cos, sin, 0.0);
                let round = DVec3::new(-sin, cos, 0.0);
                let place = out * r - DVec3::new(cos0, sin0, 0.0) * from + DVec3::Z * (rise * u);
                let along = (out * k + round * r) * angle + DVec3::Z * rise;
                let rolled = DMat3::from_rotation_x(roll);
                (rolled * place, rolled * along)
            }
            Self::Oval { long, short, away, .. } => {
                // From the lower end of the short axis, counter-clockwise.
                let t = TAU * u - FRAC_PI_2;
                let (sin, cos) = t.sin_cos();
                let speed = (long * sin).hypot(short * cos);
                let ahead = DVec3::new(-long * sin, short * cos, 0.0) / speed;
                let out = DVec3::new(ahead.y, -ahead.x, 0.0);
                let place = DVec3::new(long * cos, short * sin, 0.0) + out * away;
                // Curvature of the ellipse, for how fast the parallel line runs.
                let bend = long * short / speed.powi(3);
                let along = ahead * (speed * (1.0 + away * bend) * TAU);
                (place + DVec3::Y * (short + away), along)
            }
        }
    }

    /// The frame at its end, if it starts at `start`.
    pub fn end(&self, start: &Frame) -> Frame {
        let (place, _) = self.at(1.0);
        let turned = match *self {
            Self::Line { .. } | Self::Oval { .. } => DMat3::IDENTITY,
            Self::Turn { from, to, angle, roll, .. } => {
                let k = if angle > 0.0 { (to - from) / angle } else { 0.0 };
                let heading = angle + to.atan2(k) - from.atan2(k);
                DMat3::from_rotation_x(roll) * DMat3::from_rotation_z(heading) * DMat3::from_rotation_x(-roll)
            }
        };
        Frame { at: start.place(place), axes: start.axes * turned }
    }
}

/// One segment in its place.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Placed {
    /// Which segment.
    pub index: usize,
    /// Its centreline.
    pub curve: Curve,
    /// The frame it starts in.
    pub start: Frame,
    /// Where it starts along the drawn centreline, mm.
    pub from_mm: f64,
    /// Its drawn length, mm.
    pub length_mm: f64,
}

impl Placed {
    /// Place and derivative by `u` in space.
    pub fn at(&self, u: f64) -> (DVec3, DVec3) {
        let (place, along) = self.curve.at(u);
        (self.start.place(place), self.start.axes * along)
    }

    /// Centre of a turn at its start, in space; none for what does not turn.
    pub fn centre(&self) -> Option<DVec3> {
        match self.curve {
            Curve::Turn { from, to, angle, roll, .. } => {
                let k = if angle > 0.0 { (to - from) / angle } else { 0.0 };
                let (sin0, cos0) = (-from.atan2(k)).sin_cos();
                Some(self.start.place(DMat3::from_rotation_x(roll) * DVec3::new(-cos0, -sin0, 0.0) * from))
            }
            Curve::Line { .. } | Curve::Oval { .. } => None,
        }
    }

    /// Axis of a turn, in space.
    pub fn axis(&self) -> Option<DVec3> {
        match self.curve {
            Curve::Turn { roll, .. } => Some(self.start.axes * (DMat3::from_rotation_x(roll) * DVec3::Z)),
            Curve::Line { .. } | Curve::Oval { .. } => None,
        }
    }
}

/// A wire followed from end to end.
#[derive(Debug, Clone, PartialEq)]
pub struct Path {
    /// Its section.
    pub profile: Profile,
    /// Its segments in their places; balls have none of their length.
    pub placed: Vec<Placed>,
    /// The frame at its far end.
    pub end: Frame,
    /// Drawn length of the centreline, mm.
    pub length_mm: f64,
}

impl Path {
    /// Follows segments from a frame.
    ///
    /// ```
    /// use lorimant_core::shape::path::{Frame, Path};
    /// use lorimant_core::shape::{Course, Segment};
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// let round = Profile { section: Section::Round, size_mm: 1.0 };
    /// let segments = [
    ///     Segment::new("leg", Course::straight(10.0)),
    ///     Segment::new("bend", Course::left(3.0, 180.0)),
    ///     Segment::new("leg", Course::straight(10.0)),
    /// ];
    /// let path = Path::follow(&segments, round, Frame::default());
    /// // Out, round and back: it ends above where it began, four millimetres away.
    /// let (end, _) = path.along(path.length_mm);
    /// assert!(end.x.abs() < 1e-9 && (end.y - 4.0).abs() < 1e-9);
    /// ```
    pub fn follow(segments: &[Segment], profile: Profile, start: Frame) -> Self {
        let (mut frame, mut from_mm) = (start, 0.0);
        let mut placed = Vec::with_capacity(segments.len());
        for (index, segment) in segments.iter().enumerate() {
            let curve = segment.curve(profile);
            let length_mm = curve.length();
            placed.push(Placed { index, curve, start: frame, from_mm, length_mm });
            frame = curve.end(&frame);
            from_mm += length_mm;
        }
        Self { profile, placed, end: frame, length_mm: from_mm }
    }

    /// The same wire moved so that one segment starts at the origin with a given heading in the plane.
    pub fn turned_so(self, segments: &[Segment], index: usize, heading_deg: f64) -> Self {
        let Some(placed) = self.placed.get(index) else { return self };
        let Some(first) = self.placed.first() else { return self };
        let wanted = Frame::heading(heading_deg);
        // wanted = motion · placed.start, and the new first frame is motion · first.start.
        let turn = wanted.axes * placed.start.axes.transpose();
        let at = turn * (first.start.at - placed.start.at);
        Self::follow(segments, self.profile, Frame { at, axes: turn * first.start.axes })
    }

    /// The same wire as in a mirror: left for right.
    ///
    /// ```
    /// use lorimant_core::shape::path::{Frame, Path};
    /// use lorimant_core::shape::{Course, Segment};
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// let round = Profile { section: Section::Round, size_mm: 1.0 };
    /// let path = Path::follow(&[Segment::new("leg", Course::straight(10.0))], round, Frame::default());
    /// let (end, _) = path.mirrored().along(10.0);
    /// assert!((end.x + 10.0).abs() < 1e-9);
    /// ```
    pub fn mirrored(mut self) -> Self {
        let flip = DMat3::from_diagonal(DVec3::new(-1.0, 1.0, 1.0));
        for placed in &mut self.placed {
            placed.start = Frame { at: flip * placed.start.at, axes: flip * placed.start.axes };
        }
        self.end = Frame { at: flip * self.end.at, axes: flip * self.end.axes };
        self
    }

    /// Points along the centreline, no further apart than `step` mm or a twentieth of a turn, each
    /// with its distance along and its segment.
    pub fn points(&self, step: f64) -> Vec<(f64, DVec3, usize)> {
        let mut points = vec![];
        for placed in &self.placed {
            if placed.length_mm <= 0.0 {
                continue;
            }
            let n = pieces(placed, step);
            let first = usize::from(!points.is_empty());
            for i in first..=n {
                #[expect(clippy::cast_precision_loss, reason = "a few thousand at most")]
                let u = i as f64 / n as f64;
                points.push((placed.from_mm + u * placed.length_mm, placed.at(u).0, placed.index));
            }
        }
        points
    }

    /// The place at a distance along the drawn centreline, with its unit direction.
    pub fn along(&self, distance_mm: f64) -> (DVec3, DVec3) {
        let there =
            self.placed.iter().rev().find(|placed| placed.from_mm <= distance_mm && placed.length_mm > 0.0);
        let Some(placed) = there.or_else(|| self.placed.iter().find(|placed| placed.length_mm > 0.0)) else {
            return (DVec3::ZERO, DVec3::X);
        };
        let (at, along) = placed.at(((distance_mm - placed.from_mm) / placed.length_mm).clamp(0.0, 1.0));
        (at, along.normalize_or_zero())
    }
}

/// How many equal steps a segment is followed in.
fn pieces(placed: &Placed, step: f64) -> usize {
    let by_angle = placed.curve.angle() / (TAU / 20.0);
    let n = (placed.length_mm / step).max(by_angle).ceil().clamp(1.0, 4000.0);
    #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "1 to 4000")]
    let n = n as usize;
    n
}
