//! A close coil on a mandrel, wound and let go.

use std::f64::consts::{PI, TAU};

use kurbo::common::{GAUSS_LEGENDRE_COEFFS_8, solve_itp};

use crate::fault::Fault;
use crate::tool::mandrel::Mandrel;
use crate::tool::outline::Outline;
use crate::wire::Wire;
use crate::wire::bending::Bending;
use crate::wire::section::{Profile, Section};
use crate::words::length::both;
use crate::words::words;
use lorimant_text::text;

/// Least ratio of rod to side for square wire: tighter than this the inner face swells so much that
/// the turns no longer lie flat.
pub const LEAST_SQUARE_RATIO: f64 = 2.0;

words! {
    /// How the rod or the wire is turned.
    pub enum Winding ("winding") {
        /// By hand round a held rod.
        Hand = "hand";
        /// Rod turned in a pin vise.
        PinVise = "pin-vise";
        /// Rod turned by a slow drill.
        SlowDrill = "slow-drill";
    }
}

/// One close-wound coil. Lengths in mm.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Coil {
    /// The wire's section.
    pub profile: Profile,
    /// What the wire lies on while wound.
    pub wound: Outline,
    /// What the inside of the coil is after letting go.
    pub relaxed: Outline,
    /// Share of a wound turn that stays a turn: R0/R1.
    pub springback_ratio: f64,
    /// From turn to turn along the rod, while wound.
    pub pitch_mm: f64,
    /// Wire in one wound turn.
    pub turn_mm: f64,
}

impl Coil {
    /// Winds the wire on the mandrel and lets go.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::tool::coil::Coil;
    /// use lorimant_core::tool::mandrel::Mandrel;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0237, Temper::Soft);
    /// let coil = Coil::wind(&wire, &Mandrel::round(5.0)).unwrap();
    /// // Let go, it is wider than its rod, and each turn has become less than one.
    /// assert!(coil.relaxed.across() > 5.0 && coil.springback_ratio < 1.0);
    /// ```
    ///
    /// # Errors
    /// A fault when the wire is thicker than the rod, square wire has too small a rod, or the wire
    /// stays elastic and springs straight.
    pub fn wind(wire: &Wire, mandrel: &Mandrel) -> Result<Self, Fault> {
        Self::wind_at(wire, mandrel, &Bending::of(wire))
    }

    /// The same of wire that was worked or annealed since it was sold, and bends like this now.
    ///
    /// # Errors
    /// As [`Coil::wind`].
    pub fn wind_at(wire: &Wire, mandrel: &Mandrel, bending: &Bending) -> Result<Self, Fault> {
        fits(wire, mandrel)?;
        Self::wind_with(bending, mandrel.outline()).ok_or_else(|| springs_straight(bending, wire, mandrel))
    }

    /// Winds a wire of known bending on an outline; `None` where it springs straight.
    pub fn wind_with(bending: &Bending, wound: Outline) -> Option<Self> {
        let profile = bending.profile;
        let springback_ratio = wound.springback_ratio(bending);
        if springback_ratio <= 0.0 {
            return None;
        }
        let around = TAU * profile.centroid_mm();
        let pitch_mm = pitch(profile, wound.across());
        // The path parallel to a convex outline is longer by 2π times its distance.
        let flat_turn = wound.perimeter() + around;
        let relaxed = wound.with_perimeter(flat_turn / springback_ratio - around);
        let turn_mm = flat_turn.hypot(pitch_mm);
        Some(Self { profile, wound, relaxed, springback_ratio, pitch_mm, turn_mm })
    }

    /// Wire in one turn after letting go, mm: the same wire has fewer turns.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::tool::coil::Coil;
    /// use lorimant_core::tool::mandrel::Mandrel;
    ///
    /// let wire = Wire::round(Metal::Brass, 1.0, Temper::HalfHard);
    /// let coil = Coil::wind(&wire, &Mandrel::round(6.0)).unwrap();
    /// // No wire comes or goes when the coil springs open: a whole turn of it takes more than was wound as one.
    /// assert!((coil.relaxed_turn_mm() * coil.springback_ratio - coil.turn_mm).abs() < 1e-12);
    /// ```
    pub fn relaxed_turn_mm(&self) -> f64 {
        self.turn_mm / self.springback_ratio
    }

    /// From turn to turn after letting go, mm. The coil keeps its length with fewer turns.
    pub fn relaxed_pitch_mm(&self) -> f64 {
        self.pitch_mm / self.springback_ratio
    }

    /// Inside of a ring whose turn lost `taken_mm` of wire and was then closed: on a round rod the
    /// mean diameter shrinks by `taken/π`. `None` where nothing would be left.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::tool::coil::Coil;
    /// use lorimant_core::tool::mandrel::Mandrel;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let coil = Coil::wind(&wire, &Mandrel::round(5.0)).unwrap();
    /// // A kerf of π/10 mm closed brings the ring in by a tenth of a millimetre.
    /// let ring = coil.closed(std::f64::consts::PI / 10.0).unwrap();
    /// assert!((coil.relaxed.across() - ring.across() - 0.1).abs() < 1e-9);
    /// ```
    pub fn closed(&self, taken_mm: f64) -> Option<Outline> {
        let around = self.relaxed.perimeter() - taken_mm;
        (around > 0.0).then(|| self.relaxed.with_perimeter(around))
    }

    /// Mean radius of the tightest bend while wound, mm.
    pub fn tightest_mm(&self) -> f64 {
        self.wound.tightest_radius() + self.profile.centroid_mm()
    }
}

/// The outline to wind on so that a coil of the wanted inside is left after letting go; none where the wire
/// springs straight from any such.
///
/// Round: the wound radius in one step. Others keep their proportions as they spring, so one scale is solved for.
///
/// ```
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
/// use lorimant_core::tool::coil::outline_for;
/// use lorimant_core::tool::outline::Outline;
/// use lorimant_core::wire::bending::Bending;
///
/// let bending = Bending::of(&Wire::round(Metal::SterlingSilver, 1.0, Temper::HalfHard));
/// let rod = outline_for(&bending, Outline::Round { diameter: 5.0 }).unwrap();
/// // The rod to take is smaller than the coil it leaves.
/// assert!(rod.across() < 5.0);
/// ```
pub fn outline_for(bending: &Bending, relaxed: Outline) -> Option<Outline> {
    let c = bending.profile.centroid_mm();
    if let Outline::Round { diameter } = relaxed {
        let wound = bending.wound_radius(diameter / 2.0 + c)?;
        return (wound > c).then_some(Outline::Round { diameter: 2.0 * (wound - c) });
    }
    let perimeter = relaxed.perimeter();
    let scaled = |scale: f64| relaxed.with_perimeter(scale * perimeter);
    // Where the wire springs straight the coil is endless: far more than is wanted.
    let off = |scale: f64| {
        let coil = Coil::wind_with(bending, scaled(scale));
        coil.map_or(perimeter, |coil| coil.relaxed.across() - relaxed.across())
    };
    let (least, most) = (0.02, 1.0);
    let (off_least, off_most) = (off(least), off(most));
    if off_least > 0.0 || off_most < 0.0 {
        return None;
    }
    let scale = solve_itp(off, least, most, 1e-13, 1, 0.2, off_least, off_most);
    (off(scale).abs() < 1e-6 * relaxed.across()).then(|| scaled(scale))
}

/// Turns of wire on a taper, mouth to mouth.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Cone {
    /// Bore at the narrow end, mm.
    pub small_mm: f64,
    /// Bore at the wide end, mm.
    pub large_mm: f64,
    /// Turns from one to the other.
    pub turns: f64,
}

impl Cone {
    /// What is left of a cone after letting go: each place springs by its own radius, which grows evenly from
    /// turn to turn. None where its wide end springs straight.
    ///
    /// ```
    /// use lorimant_core::tool::coil::Cone;
    /// use lorimant_core::wire::{Wire, bending::Bending};
    ///
    /// let wire: Wire = serde_json::from_str(r#"{"metal": "copper", "size_mm": 1.0237}"#).unwrap();
    /// let cone = Cone { small_mm: 2.0, large_mm: 6.5, turns: 8.0 }.let_go(&Bending::of(&wire)).unwrap();
    /// assert!((cone.turns - 7.923).abs() < 0.001);
    /// ```
    pub fn let_go(self, bending: &Bending) -> Option<Self> {
        let c = bending.profile.centroid_mm();
        let mouth = |bore: f64| {
            let radius = bore / 2.0 + c;
            let ratio = bending.springback_ratio(radius);
            (ratio > 0.0).then(|| 2.0 * (radius / ratio - c))
        };
        let (small_mm, large_mm) = (mouth(self.small_mm)?, mouth(self.large_mm)?);
        Some(Self { small_mm, large_mm, turns: self.turns * self.mean_ratio(bending) })
    }

    /// The cone to wind on a taper so that this one is left.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::tool::coil::Cone;
    /// use lorimant_core::wire::bending::Bending;
    ///
    /// let bending = Bending::of(&Wire::round(Metal::Copper, 1.0237, Temper::Soft));
    /// let wanted = Cone { small_mm: 2.0, large_mm: 6.5, turns: 8.0 };
    /// let wound = wanted.wound_for(&bending).unwrap();
    /// let left = wound.let_go(&bending).unwrap();
    /// assert!((left.small_mm - 2.0).abs() < 1e-6 && (left.large_mm - 6.5).abs() < 1e-6);
    /// ```
    pub fn wound_for(self, bending: &Bending) -> Option<Self> {
        let c = bending.profile.centroid_mm();
        let mouth = |bore: f64| bending.wound_radius(bore / 2.0 + c).map(|radius| 2.0 * (radius - c));
        let wound = Self { small_mm: mouth(self.small_mm)?, large_mm: mouth(self.large_mm)?, turns: 1.0 };
        Some(Self { turns: self.turns / wound.mean_ratio(bending), ..wound })
    }

    /// Mean of R0/R1 over the turns, by Gauss–Legendre: it varies smoothly from mouth to mouth.
    fn mean_ratio(self, bending: &Bending) -> f64 {
        let c = bending.profile.centroid_mm();
        let at = |u: f64| {
            let bore = self.small_mm + (self.large_mm - self.small_mm) * (1.0 + u) / 2.0;
            bending.springback_ratio(bore / 2.0 + c)
        };
        GAUSS_LEGENDRE_COEFFS_8.iter().map(|(weight, u)| weight * at(*u)).sum::<f64>() / 2.0
    }
}

/// Pitch of a close coil, mm. Square wire keystones: its inner face swells and keeps the turns
/// apart, `0.48·a·(OD/Dm + 1)` (spring makers' handbook rule).
fn pitch(profile: Profile, across: f64) -> f64 {
    let size = profile.size_mm;
    match profile.section {
        Section::Round | Section::HalfRound => size,
        Section::Square => {
            let (outside, mean) = (across + 2.0 * size, across + size);
            0.48 * size * (outside / mean + 1.0)
        }
    }
}

fn fits(wire: &Wire, mandrel: &Mandrel) -> Result<(), Fault> {
    let thickness = wire.profile().thickness_mm();
    let across = mandrel.outline().short_across();
    let size = wire.size_mm;
    if thickness > across + 1e-9 {
        let message =
            text!("coil-wire-thick-thicker-than-rod", thickness = both(thickness), across = both(across));
        return Err(Fault::new("wire.size_mm", message).limit(across));
    }
    if wire.section == Section::Square && across < LEAST_SQUARE_RATIO * size {
        let least = LEAST_SQUARE_RATIO * size;
        let message = text!(
            "coil-square-wire-bulges-on-its",
            size = both(size),
            across = both(across),
            least = both(least)
        );
        return Err(Fault::new("mandrel.diameter_mm", message).limit(least));
    }
    Ok(())
}

fn springs_straight(bending: &Bending, wire: &Wire, mandrel: &Mandrel) -> Fault {
    let most = 2.0 * (1.0 / bending.yield_curvature() - bending.profile.centroid_mm());
    let message = text!(
        "coil-on-this-springs-straight-again",
        mandrel = mandrel.shown(),
        temper = wire.temper,
        metal = wire.metal,
        most = both(most)
    );
    Fault::new("mandrel.diameter_mm", message).limit(most)
}

/// Mean diameter of a round outline's wire, or the mean of the same length for any other, mm.
///
/// ```
/// use lorimant_core::tool::coil::mean_diameter_mm;
/// use lorimant_core::tool::outline::Outline;
/// use lorimant_core::wire::section::{Profile, Section};
///
/// let round = Profile { section: Section::Round, size_mm: 1.0 };
/// assert!((mean_diameter_mm(Outline::Round { diameter: 5.0 }, round) - 6.0).abs() < 1e-12);
/// ```
pub fn mean_diameter_mm(inside: Outline, profile: Profile) -> f64 {
    inside.perimeter() / PI + 2.0 * profile.centroid_mm()
}
