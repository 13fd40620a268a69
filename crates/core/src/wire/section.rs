//! Cross-sections of wire, and what bending needs to know of them.

use std::f64::consts::PI;

use crate::words::words;

/// Share of the thickness lost under the hammer that goes into length: `e = ln(h/t)`, the wire grows by `exp(0.3·e)`.
pub const LENGTH_SHARE: f64 = 0.3;
/// Share that goes into width; both together are all of it, so that no metal is made or lost.
pub const WIDTH_SHARE: f64 = 1.0 - LENGTH_SHARE;

words! {
    /// The shape of a wire's cross-section.
    pub enum Section ("section") {
        /// Round, size = diameter.
        Round = "round";
        /// Square, size = side; bent on its flat.
        Square = "square";
        /// Half-round, size = width; the flat side lies inward.
        HalfRound = "half-round";
    }
}

impl Section {
    /// What shops and makers call it besides its own name: English, German, French, Spanish.
    pub(crate) fn called(self) -> &'static [&'static str] {
        match self {
            Self::Round => &["rnd", "rd", "rund", "rond", "redondo", "redonda"],
            Self::Square => {
                &["sq", "sq.", "vierkant", "quadratisch", "carré", "carre", "cuadrado", "cuadrada"]
            }
            Self::HalfRound => &[
                "half round",
                "halfround",
                "1/2 round",
                "½ round",
                "1/2 rd",
                "hr",
                "halbrund",
                "demi rond",
                "demi-rond",
                "media caña",
                "media cana",
            ],
        }
    }
}

/// A section at a size. All lengths in mm.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Profile {
    /// Which shape.
    pub section: Section,
    /// Diameter, side or width, mm.
    pub size_mm: f64,
}

impl Profile {
    /// Thickness in the plane of the bend, mm.
    ///
    /// ```
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// // A half-round wire is half as thick as it is wide.
    /// assert_eq!(Profile { section: Section::HalfRound, size_mm: 2.0 }.thickness_mm(), 1.0);
    /// assert_eq!(Profile { section: Section::Square, size_mm: 2.0 }.thickness_mm(), 2.0);
    /// ```
    pub fn thickness_mm(self) -> f64 {
        match self.section {
            Section::Round | Section::Square => self.size_mm,
            Section::HalfRound => self.size_mm / 2.0,
        }
    }

    /// Distance from the inner face to the centroid, mm. Half-round: `4r/3π` above the flat.
    ///
    /// ```
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// assert_eq!(Profile { section: Section::Round, size_mm: 1.0 }.centroid_mm(), 0.5);
    /// // 4 r / 3π above the flat.
    /// let half = Profile { section: Section::HalfRound, size_mm: 2.0 }.centroid_mm();
    /// assert!((half - 0.424_413).abs() < 1e-6);
    /// ```
    pub fn centroid_mm(self) -> f64 {
        match self.section {
            Section::Round | Section::Square => self.size_mm / 2.0,
            Section::HalfRound => 4.0 * (self.size_mm / 2.0) / (3.0 * PI),
        }
    }

    /// Area, mm².
    ///
    /// ```
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// assert_eq!(Profile { section: Section::Square, size_mm: 1.5 }.area_mm2(), 2.25);
    /// ```
    pub fn area_mm2(self) -> f64 {
        let s = self.size_mm;
        match self.section {
            Section::Round => PI * s * s / 4.0,
            Section::Square => s * s,
            Section::HalfRound => PI * s * s / 8.0,
        }
    }

    /// Second moment of area about the centroid, mm⁴.
    ///
    /// ```
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// // s⁴/12 for a square.
    /// assert!((Profile { section: Section::Square, size_mm: 2.0 }.second_moment_mm4() - 16.0 / 12.0).abs() < 1e-12);
    /// ```
    pub fn second_moment_mm4(self) -> f64 {
        let s = self.size_mm;
        match self.section {
            Section::Round => PI * s.powi(4) / 64.0,
            Section::Square => s.powi(4) / 12.0,
            Section::HalfRound => (PI / 8.0 - 8.0 / (9.0 * PI)) * (s / 2.0).powi(4),
        }
    }

    /// Plastic section modulus, mm³: full plastic moment divided by flow stress.
    ///
    /// Round `d³/6`, square `a³/4`. Half-round: about the line that halves the area, which lies
    /// 0.4040 r above the flat; the two half-areas' first moments about it give 0.3540 r³.
    ///
    /// ```
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// // d³/6 for round, s³/4 for square wire: square resists half as much again.
    /// let of = |section| Profile { section, size_mm: 1.0 }.plastic_modulus_mm3();
    /// assert!((of(Section::Square) / of(Section::Round) - 1.5).abs() < 1e-12);
    /// ```
    pub fn plastic_modulus_mm3(self) -> f64 {
        let s = self.size_mm;
        match self.section {
            Section::Round => s.powi(3) / 6.0,
            Section::Square => s.powi(3) / 4.0,
            Section::HalfRound => half_disc_plastic_modulus() * (s / 2.0).powi(3),
        }
    }

    /// Plastic modulus in the plane of a piece that was hammered to a thickness across it, mm³.
    ///
    /// Hammered by `e = ln(h/t)`, the section is `exp(−e)` as thick and `exp(0.7·e)` as wide, and the wire `exp(0.3·e)` as
    /// long: as much metal as before, a round wire an ellipse, a square one a flat. Its modulus grows by thickness and the
    /// square of width, `exp(0.4·e)`.
    ///
    /// ```
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// let wire = Profile { section: Section::Round, size_mm: 1.024 };
    /// // Hammered, it resists more in its plane, which is why makers hammer. Of an ellipse: t·w²/6.
    /// let more = wire.hammered_modulus_mm3(0.7) / wire.plastic_modulus_mm3();
    /// assert!((more - (1.024_f64 / 0.7).powf(0.4)).abs() < 1e-12);
    /// ```
    pub fn hammered_modulus_mm3(self, thickness_mm: f64) -> f64 {
        let e = (self.thickness_mm() / thickness_mm).max(1.0).ln();
        self.plastic_modulus_mm3() * (e * (2.0 * WIDTH_SHARE - 1.0)).exp()
    }

    /// How many times wider it is in its plane when it is hammered to a thickness across it.
    ///
    /// ```
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// let wire = Profile { section: Section::Round, size_mm: 1.0 };
    /// // No metal is made: as thick · as wide · as long is 1, and what is not width is length.
    /// assert!((0.6 * wire.widened(0.6) * (1.0_f64 / 0.6).powf(0.3) - 1.0).abs() < 1e-12);
    /// assert_eq!(wire.widened(1.0), 1.0);
    /// ```
    #[must_use]
    pub fn widened(self, thickness_mm: f64) -> f64 {
        (self.thickness_mm() / thickness_mm).max(1.0).powf(WIDTH_SHARE)
    }

    /// What it becomes when it is hammered to a thickness, as far as bending the flat way goes: the same shape, as thick as
    /// that. Springback and strain do not depend on how wide it is.
    ///
    /// ```
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// let flat = Profile { section: Section::Round, size_mm: 1.0 }.hammered(0.6);
    /// assert_eq!((flat.thickness_mm(), flat.centroid_mm()), (0.6, 0.3));
    /// ```
    #[must_use]
    pub fn hammered(self, thickness_mm: f64) -> Self {
        Self { size_mm: self.size_mm * (thickness_mm / self.thickness_mm()).min(1.0), ..self }
    }

    /// Slices of the section: how far each lies from the centroid axis, mm, and its area, mm².
    ///
    /// ```
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// let wire = Profile { section: Section::Round, size_mm: 1.0 };
    /// let area: f64 = wire.fibres().iter().map(|(_, area)| area).sum();
    /// let moment: f64 = wire.fibres().iter().map(|(height, area)| height * height * area).sum();
    /// assert!((area / wire.area_mm2() - 1.0).abs() < 0.01);
    /// assert!((moment / wire.second_moment_mm4() - 1.0).abs() < 0.01);
    /// ```
    #[must_use]
    pub fn fibres(self) -> Vec<(f64, f64)> {
        /// Slices on each side of the axis.
        const N: u32 = 16;
        let s = self.size_mm;
        let slices = |from: f64, to: f64, width: &dyn Fn(f64) -> f64, sides: f64| -> Vec<(f64, f64)> {
            let deep = (to - from) / f64::from(N);
            (0..N)
                .map(|i| {
                    let at = from + (f64::from(i) + 0.5) * deep;
                    (at, sides * width(at) * deep)
                })
                .collect()
        };
        match self.section {
            Section::Round => {
                // Even steps of the angle: thin slices where the section ends and bending works it most.
                let step = PI / 2.0 / f64::from(N);
                let slice = |i: u32| {
                    let (sin, cos) = ((f64::from(i) + 0.5) * step).sin_cos();
                    (s / 2.0 * sin, s * s * cos * cos * step)
                };
                (0..N).map(slice).collect()
            }
            Section::Square => slices(0.0, s / 2.0, &|_| s, 2.0),
            Section::HalfRound => {
                let (r, c) = (s / 2.0, self.centroid_mm());
                let width = |y: f64| 2.0 * (r * r - (c + y).powi(2)).max(0.0).sqrt();
                let mut all = slices(0.0, r - c, &width, 1.0);
                all.extend(slices(0.0, c, &|y| width(-y), 1.0));
                all
            }
        }
    }

    /// Mean distance of the section's metal from its centroid axis, mm.
    ///
    /// ```
    /// use lorimant_core::wire::section::{Profile, Section};
    ///
    /// assert_eq!(Profile { section: Section::Square, size_mm: 1.0 }.mean_height_mm(), 0.25);
    /// ```
    pub fn mean_height_mm(self) -> f64 {
        match self.section {
            Section::Round => 2.0 * self.size_mm / (3.0 * PI),
            Section::Square => self.size_mm / 4.0,
            Section::HalfRound => {
                let r = self.size_mm / 2.0;
                let c = self.centroid_mm();
                // Twice the first moment of the part above the centroid, over the area.
                2.0 * half_disc_moment_above(c / r) * r.powi(3) / self.area_mm2()
            }
        }
    }
}

/// First moment about the line at height `k` of the unit half disc's part above that line:
/// `∫ₖ¹ (z − k)·2√(1 − z²) dz`.
fn half_disc_moment_above(k: f64) -> f64 {
    let w = (1.0 - k * k).sqrt();
    2.0 / 3.0 * w.powi(3) - k * (k.acos() - k * w)
}

/// `0.3540`: with the neutral line at the height that halves the area (where
/// `acos k − k√(1 − k²) = π/4`), the metal above and below it push with equal force.
fn half_disc_plastic_modulus() -> f64 {
    let halving = 0.403_972_753_299_517_2_f64;
    let above = half_disc_moment_above(halving);
    // About any line: moment above − moment below = A·(c − k).
    let area_offset = PI / 2.0 * (4.0 / (3.0 * PI) - halving);
    2.0 * above - area_offset
}
