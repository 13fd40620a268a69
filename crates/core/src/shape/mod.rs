//! A finding: one wire followed through space, segment by segment.
//!
//! A [`Segment`] says how the wire runs; [`path`] follows the segments with a moving frame and gives
//! every length, place and direction; [`contact`] finds where wire meets wire; [`view`] draws what a
//! viewer sees, over- and underpasses included; [`closing`] has the closed forms of loops.

pub mod closing;
pub mod contact;
pub mod hammered;
pub mod path;
pub mod view;

use std::f64::consts::TAU;

use serde::Serialize;

use crate::tool::outline::Outline;
use crate::wire::section::{LENGTH_SHARE, Profile};
use path::Curve;

/// How a stretch of wire runs. Lengths in mm, angles in degrees. A roll turns the plane of the bend
/// about the wire: 0 bends to the left of the way the wire runs, 180 to the right, 90 towards the
/// viewer of a piece that lies flat.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(rename_all = "kebab-case", tag = "course")]
pub enum Course {
    /// Straight.
    Straight {
        /// Its length.
        length_mm: f64,
    },
    /// A bend of constant radius.
    Bend {
        /// Inside diameter.
        inside_mm: f64,
        /// How far it turns.
        angle_deg: f64,
        /// Which way.
        roll_deg: f64,
        /// How far it climbs out of its plane on the way, to pass over another part of the wire.
        rise_mm: f64,
    },
    /// Turns round a core: `n·sqrt((π(D + d))² + p²)` of wire.
    Wrap {
        /// Diameter of what it is wound round.
        core_mm: f64,
        /// Turns.
        turns: f64,
        /// From turn to turn along the core; negative to advance the other way.
        pitch_mm: f64,
        /// Which way the core lies.
        roll_deg: f64,
    },
    /// Turns lying flat, each outside the one before: an Archimedean spiral.
    Spiral {
        /// Opening left in its middle.
        inner_mm: f64,
        /// Turns.
        turns: f64,
        /// From turn to turn outward.
        pitch_mm: f64,
        /// Which way.
        roll_deg: f64,
    },
    /// Turns round a taper.
    Cone {
        /// Bore at the narrow end.
        small_mm: f64,
        /// Bore at the wide end.
        large_mm: f64,
        /// Turns.
        turns: f64,
        /// From turn to turn along the axis.
        pitch_mm: f64,
        /// Which way the axis lies.
        roll_deg: f64,
    },
    /// One turn round an oval rod.
    Oval {
        /// Long axis inside.
        long_mm: f64,
        /// Short axis inside.
        short_mm: f64,
    },
    /// A ball drawn up from the wire's end: `2B³/(3d²)` of round wire.
    Ball {
        /// Its diameter.
        diameter_mm: f64,
    },
}

/// A stretch of the wire and what is done to it.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Segment {
    /// What it makes, for example `loop`.
    pub what: &'static str,
    /// How the wire runs.
    pub course: Course,
    /// Whether the wire runs through it from its far end.
    pub reversed: bool,
    /// What it is hammered to, mm, where it is.
    pub flattened_mm: Option<f64>,
    /// Whether it is hammered while it still is straight, so that it is the thinner strip that is bent.
    pub flattened_first: bool,
}

impl Course {
    /// Straight wire of a length.
    pub fn straight(length_mm: f64) -> Self {
        Self::Straight { length_mm }
    }

    /// A flat bend to the left.
    ///
    /// ```
    /// use lorimant_core::shape::Course;
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// let round = Profile { section: Section::Round, size_mm: 1.0 };
    /// // A whole turn round 5 mm takes the circumference of the wire's middle.
    /// let turn = Course::left(5.0, 360.0).curve(round).length();
    /// assert!((turn - 6.0 * std::f64::consts::PI).abs() < 1e-9);
    /// ```
    pub fn left(inside_mm: f64, angle_deg: f64) -> Self {
        Self::Bend { inside_mm, angle_deg, roll_deg: 0.0, rise_mm: 0.0 }
    }

    /// A flat bend to the right.
    pub fn right(inside_mm: f64, angle_deg: f64) -> Self {
        Self::Bend { inside_mm, angle_deg, roll_deg: 180.0, rise_mm: 0.0 }
    }

    /// Its centreline in a wire of this section; none for a ball, which has no centreline.
    pub fn curve(self, profile: Profile) -> Curve {
        let c = profile.centroid_mm();
        match self {
            Self::Straight { length_mm } => Curve::Line { length: length_mm },
            Self::Bend { inside_mm, angle_deg, roll_deg, rise_mm } => {
                let r = inside_mm / 2.0 + c;
                Curve::Turn {
                    from: r,
                    to: r,
                    angle: angle_deg.to_radians(),
                    rise: rise_mm,
                    roll: roll_deg.to_radians(),
                }
            }
            Self::Wrap { core_mm, turns, pitch_mm, roll_deg } => {
                let r = core_mm / 2.0 + c;
                Curve::Turn {
                    from: r,
                    to: r,
                    angle: TAU * turns,
                    rise: pitch_mm * turns,
                    roll: roll_deg.to_radians(),
                }
            }
            Self::Spiral { inner_mm, turns, pitch_mm, roll_deg } => {
                let r = inner_mm / 2.0 + c;
                let to = r + pitch_mm * turns;
                Curve::Turn { from: r, to, angle: TAU * turns, rise: 0.0, roll: roll_deg.to_radians() }
            }
            Self::Cone { small_mm, large_mm, turns, pitch_mm, roll_deg } => Curve::Turn {
                from: small_mm / 2.0 + c,
                to: large_mm / 2.0 + c,
                angle: TAU * turns,
                rise: pitch_mm * turns,
                roll: roll_deg.to_radians(),
            },
            Self::Oval { long_mm, short_mm } => {
                let around = Outline::Oval { long: long_mm, short: short_mm }.perimeter();
                Curve::Oval { long: long_mm / 2.0, short: short_mm / 2.0, away: c, length: around + TAU * c }
            }
            Self::Ball { .. } => Curve::Line { length: 0.0 },
        }
    }

    /// Inside diameter of the tightest bend in it, mm; none where it is straight.
    ///
    /// ```
    /// use lorimant_core::shape::Course;
    ///
    /// assert_eq!(Course::left(5.0, 90.0).tightest_mm(), Some(5.0));
    /// assert_eq!(Course::straight(5.0).tightest_mm(), None);
    /// ```
    pub fn tightest_mm(self) -> Option<f64> {
        match self {
            Self::Straight { .. } | Self::Ball { .. } => None,
            Self::Bend { inside_mm, .. } => Some(inside_mm),
            Self::Wrap { core_mm, .. } => Some(core_mm),
            Self::Spiral { inner_mm, .. } => Some(inner_mm),
            Self::Cone { small_mm, large_mm, .. } => Some(small_mm.min(large_mm)),
            Self::Oval { long_mm, short_mm } => Some(short_mm * short_mm / long_mm),
        }
    }
}

impl Segment {
    /// A stretch that makes something, as wire leaves the tool.
    pub fn new(what: &'static str, course: Course) -> Self {
        Self { what, course, reversed: false, flattened_mm: None, flattened_first: false }
    }

    /// The section that is bent: the wire's own, or the strip it was hammered to first.
    pub fn bent_profile(&self, profile: Profile) -> Profile {
        match self.flattened_mm {
            Some(thin) if self.flattened_first => profile.hammered(thin),
            _ => profile,
        }
    }

    /// Its centreline in the direction the wire runs.
    pub fn curve(&self, profile: Profile) -> Curve {
        let curve = self.course.curve(self.bent_profile(profile));
        if self.reversed { curve.reversed() } else { curve }
    }

    /// How much longer hammering makes it: `(h/t)^0.3`.
    pub fn growth(&self, profile: Profile) -> f64 {
        let h = profile.thickness_mm();
        self.flattened_mm.map_or(1.0, |t| (h / t).max(1.0).powf(LENGTH_SHARE))
    }

    /// How much wider a bend becomes when it is hammered after it was made; 1 where it is not.
    pub fn opens(&self, profile: Profile) -> f64 {
        if self.flattened_first { 1.0 } else { self.growth(profile) }
    }

    /// Straight wire that goes into it, mm.
    ///
    /// ```
    /// use lorimant_core::shape::{Course, Segment};
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// let round = Profile { section: Section::Round, size_mm: 1.0 };
    /// let stem = Segment::new("stem", Course::straight(20.0));
    /// assert_eq!(stem.wire_mm(round), 20.0);
    /// // Hammered to 0.7 it has grown: less wire makes the same length.
    /// assert!(Segment { flattened_mm: Some(0.7), ..stem }.wire_mm(round) < 20.0);
    /// ```
    pub fn wire_mm(&self, profile: Profile) -> f64 {
        match self.course {
            Course::Ball { diameter_mm } => ball_wire_mm(diameter_mm, profile),
            _ => self.curve(profile).length() / self.growth(profile),
        }
    }

    /// The same stretch before it is formed: straight, unhammered, as long as its wire.
    ///
    /// ```
    /// use lorimant_core::shape::{Course, Segment};
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// let round = Profile { section: Section::Round, size_mm: 1.0 };
    /// let eye = Segment::new("eye", Course::left(3.0, 300.0));
    /// // Straight again, it is as long as the wire in it.
    /// assert!((eye.unformed(round).wire_mm(round) - eye.wire_mm(round)).abs() < 1e-12);
    /// ```
    pub fn unformed(&self, profile: Profile) -> Self {
        Self::new(self.what, Course::straight(self.wire_mm(profile)))
    }
}

/// Wire that a ball takes: its volume over the wire's area; `2B³/(3d²)` of round wire.
///
/// ```
/// use lorimant_core::shape::ball_wire_mm;
/// use lorimant_core::wire::section::{Profile, Section};
///
/// // π D³/6 over π d²/4: a ball of 2 mm swallows 5.33 mm of 1 mm wire.
/// let round = Profile { section: Section::Round, size_mm: 1.0 };
/// assert!((ball_wire_mm(2.0, round) - 16.0 / 3.0).abs() < 1e-12);
/// ```
pub fn ball_wire_mm(diameter_mm: f64, profile: Profile) -> f64 {
    std::f64::consts::PI * diameter_mm.powi(3) / 6.0 / profile.area_mm2()
}

/// The same stretches followed from the other end.
///
/// ```
/// use lorimant_core::shape::{Course, Segment, backwards};
///
/// let there = [Segment::new("eye", Course::left(3.0, 300.0)), Segment::new("stem", Course::straight(20.0))];
/// let back = backwards(&there);
/// assert_eq!((back[0].what, back[1].reversed), ("stem", true));
/// ```
pub fn backwards(segments: &[Segment]) -> Vec<Segment> {
    segments.iter().rev().map(|segment| Segment { reversed: !segment.reversed, ..*segment }).collect()
}
