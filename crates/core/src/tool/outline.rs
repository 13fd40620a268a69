//! The outline wire is wound round: round, oval, or with straight sides and rounded corners.

use std::f64::consts::{PI, TAU};

use kurbo::Shape as _;

use crate::wire::bending::Bending;

/// A convex outline, mm.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Outline {
    /// A circle.
    Round {
        /// Diameter.
        diameter: f64,
    },
    /// An ellipse.
    Oval {
        /// Long axis.
        long: f64,
        /// Short axis.
        short: f64,
    },
    /// A regular polygon with rounded corners.
    Flats {
        /// Number of sides.
        sides: u32,
        /// Distance across the flats.
        across: f64,
        /// Radius of the corners.
        corner: f64,
    },
}

/// Part of an outline: so much of the full turn (radians), bent at so much inner radius (mm).
struct Corner {
    turn: f64,
    radius: f64,
}

/// Slices of a quarter ellipse. Springback varies smoothly and evenly round it, so mid-slice sums
/// converge fast: fifteen hold the share that stays to better than 1e-4 up to axes of 3 : 1.
const OVAL_SLICES: u32 = 15;

impl Outline {
    /// Length round the outline, mm; an ellipse's to a billionth of a millimetre.
    ///
    /// ```
    /// use lorimant_core::tool::outline::Outline;
    ///
    /// let square = Outline::Flats { sides: 4, across: 5.0, corner: 0.0 };
    /// assert!((square.perimeter() - 20.0).abs() < 1e-9);
    /// ```
    pub fn perimeter(self) -> f64 {
        match self {
            Self::Round { diameter } => PI * diameter,
            Self::Oval { long, short } => {
                kurbo::Ellipse::new((0.0, 0.0), (long / 2.0, short / 2.0), 0.0).perimeter(1e-9)
            }
            Self::Flats { sides, across, corner } => {
                let per_across = f64::from(sides) * (PI / f64::from(sides)).tan();
                per_across * across - (2.0 * per_across - TAU) * corner
            }
        }
    }

    /// Diameter, long axis, or distance across the flats, mm.
    ///
    /// ```
    /// use lorimant_core::tool::outline::Outline;
    ///
    /// let oval = Outline::Oval { long: 8.0, short: 5.0 };
    /// assert_eq!((oval.across(), oval.short_across()), (8.0, 5.0));
    /// ```
    pub fn across(self) -> f64 {
        match self {
            Self::Round { diameter } => diameter,
            Self::Oval { long, .. } => long,
            Self::Flats { across, .. } => across,
        }
    }

    /// The smaller way across: the short axis of an oval, otherwise the same as [`Self::across`].
    pub fn short_across(self) -> f64 {
        match self {
            Self::Oval { short, .. } => short,
            other => other.across(),
        }
    }

    /// The outline of the same kind and proportion with another perimeter. A rounded corner keeps
    /// its radius as long as the flats allow.
    ///
    /// ```
    /// use lorimant_core::tool::outline::Outline;
    ///
    /// let smaller = Outline::Oval { long: 8.0, short: 5.0 }.with_perimeter(18.0);
    /// assert!((smaller.perimeter() - 18.0).abs() < 1e-9);
    /// ```
    pub fn with_perimeter(self, perimeter: f64) -> Self {
        let scale = perimeter / self.perimeter();
        match self {
            Self::Round { diameter } => Self::Round { diameter: diameter * scale },
            Self::Oval { long, short } => Self::Oval { long: long * scale, short: short * scale },
            Self::Flats { sides, across, corner } => {
                let per_across = f64::from(sides) * (PI / f64::from(sides)).tan();
                let kept = (perimeter + (2.0 * per_across - TAU) * corner) / per_across;
                if kept >= 2.0 * corner {
                    Self::Flats { sides, across: kept, corner }
                } else {
                    Self::Flats { sides, across: across * scale, corner: corner * scale }
                }
            }
        }
    }

    /// Smallest inner radius the wire is bent to, mm.
    ///
    /// ```
    /// use lorimant_core::tool::outline::Outline;
    ///
    /// // An oval is tightest at its ends: b²/a.
    /// assert_eq!(Outline::Oval { long: 8.0, short: 4.0 }.tightest_radius(), 1.0);
    /// ```
    pub fn tightest_radius(self) -> f64 {
        match self {
            Self::Round { diameter } => diameter / 2.0,
            Self::Oval { long, short } => short * short / (2.0 * long),
            Self::Flats { corner, .. } => corner,
        }
    }

    /// Inner radius at the side, mm: where a pull along the long way bends a ring of this outline open. None on a
    /// flat, which was never bent.
    pub fn side_radius(self) -> Option<f64> {
        match self {
            Self::Round { diameter } => Some(diameter / 2.0),
            Self::Oval { long, short } => Some(long * long / (2.0 * short)),
            Self::Flats { .. } => None,
        }
    }

    /// Share of a wound turn that stays a turn after letting go, `R0/R1` on a round rod.
    ///
    /// Each part of the outline springs by its own radius; the shares are weighed by how much of
    /// the turn they make. Flats are straight before and after. 0 means that all springs straight.
    pub fn springback_ratio(self, bending: &Bending) -> f64 {
        let c = bending.profile.centroid_mm();
        let parts = |corners: &[Corner]| -> f64 {
            corners.iter().map(|p| p.turn * bending.springback_ratio(p.radius + c)).sum::<f64>()
        };
        match self {
            Self::Round { diameter } => bending.springback_ratio(diameter / 2.0 + c),
            Self::Flats { corner, .. } => bending.springback_ratio(corner + c),
            Self::Oval { long, short } => {
                let (a, b) = (long / 2.0, short / 2.0);
                // Equal steps of the ellipse's parameter over a quarter, at mid-slice; the
                // direction of its tangent tells how much of the turn each slice makes.
                let heading = |t: f64| (b * t.cos()).atan2(a * t.sin());
                let step = PI / 2.0 / f64::from(OVAL_SLICES);
                let slices: Vec<Corner> = (0..OVAL_SLICES)
                    .map(|i| {
                        let t = f64::from(i) * step;
                        let mid = t + step / 2.0;
                        let speed = (a * mid.sin()).hypot(b * mid.cos());
                        let turn = (heading(t) - heading(t + step)) / (PI / 2.0);
                        Corner { turn, radius: speed.powi(3) / (a * b) }
                    })
                    .collect();
                parts(&slices)
            }
        }
    }
}
