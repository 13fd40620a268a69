//! How hard a place of a piece must be bent back before it stays open, and before the piece comes off.
//!
//! Forming hardens a wire most at its faces and leaves it stressed, so that it neither yields at once nor resists evenly
//! when it is bent back. Each fibre is followed: stretched to the bend, let go, and stretched back, hardening all the while
//! (isotropic hardening; that metal yields a little sooner the other way, as Bauschinger found, is left out). The moment
//! falls off on both sides of the place as it does along half a ring, `M·sin φ` over a length `π·arm`, and a gap or mouth
//! lies as far beyond the line of pull as the place lies before it: `∫ (Δκ − M·sin φ/EI)·(1 + sin φ)·arm² dφ` stays open.

use std::f64::consts::FRAC_PI_2;

use crate::wire::Wire;
use crate::wire::bending::Bending;

/// A mouth that stays this much wider is seen and felt, mm.
const FIRST_SET_MM: f64 = 0.1;
/// Curvatures the moment is worked out at, evenly in their logarithm.
const STEPS: usize = 24;
/// Slices of half the length that bends.
const SLICES: u32 = 12;

/// What opens a piece, as shares of the plastic collapse `σ·Z/arm` at its weakest place.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Opening {
    /// At this share a tenth of a millimetre stays open.
    pub first_set: f64,
    /// At this share it stays open by its own wire's thickness, so that a neighbour as thick comes off.
    pub pulls_open: f64,
}

/// What is bent back: a place of the wire as it was formed.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Formed {
    /// The wire as it was when the place was formed.
    pub bending: Bending,
    /// Centroid radius the place was bent to on the tool, mm; none where it is straight, or was annealed since.
    pub wound_mm: Option<f64>,
    /// How thick it is now across its plane, mm: less than its wire where it was hammered.
    pub thickness_mm: f64,
}

impl Formed {
    /// A place of which the strain in all is known and the radius it has now, mm; where the bend alone strained it more than
    /// that, heat has taken its history away.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::wire::opening::Formed;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let of = |strain| Formed::of(&wire, strain, Some(3.0), 1.0);
    /// assert!(of(0.1).wound_mm.is_some());
    /// // A ring that was fused is soft all through.
    /// assert!(of(0.0).wound_mm.is_none());
    /// ```
    #[must_use]
    pub fn of(wire: &Wire, strain: f64, radius_mm: Option<f64>, thickness_mm: f64) -> Self {
        let straight = Self { bending: Bending::after(wire, strain), wound_mm: None, thickness_mm };
        let Some(radius) = radius_mm else { return straight };
        let mut wound = radius;
        for _ in 0..3 {
            let before = strain - straight.bending.mean_strain(wound);
            if before < -1e-9 {
                return straight;
            }
            let bending = Bending::after(wire, before.max(0.0));
            wound = bending.wound_radius(radius).unwrap_or(radius);
        }
        let before = (strain - straight.bending.mean_strain(wound)).max(0.0);
        Self { bending: Bending::after(wire, before), wound_mm: Some(wound), thickness_mm }
    }

    /// How much wider it is now than its wire, in its plane.
    fn wider(&self) -> f64 {
        self.bending.profile.widened(self.thickness_mm)
    }

    /// Moments that bend it back by each of these curvatures, 1/mm: in N·mm for a section as wide as its wire.
    fn moments(&self, back: &[f64]) -> Vec<f64> {
        let (bending, wider) = (&self.bending, self.wider());
        let fibres: Vec<(f64, f64)> =
            bending.profile.fibres().iter().map(|(height, area)| (height * wider, *area)).collect();
        let formed = self.wound_mm.map_or(0.0, |radius| 1.0 / radius);
        let moment = |curvature: f64| -> f64 {
            let push = |(height, area): &(f64, f64)| {
                area * height * bending.flow.bent_back(height * formed, height * curvature)
            };
            -fibres.iter().map(push).sum::<f64>()
        };
        // Let go, it springs back until it bears no moment.
        let stiffness: f64 =
            fibres.iter().map(|(height, area)| bending.flow.modulus * area * height * height).sum();
        let released = -moment(0.0) / stiffness;
        let rest = moment(released);
        back.iter().map(|back| moment(released + back) - rest).collect()
    }

    /// What opens a piece here, pulled with an arm, mm; `collapse_nmm` is the plastic moment `σ·Z` it is a share of, N·mm.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::bending::Bending;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::wire::opening::Formed;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let formed = Formed::of(&wire, 0.07, Some(3.0), 1.0);
    /// let collapse = Bending::after(&wire, 0.07).flow.flow_stress(0.0) / 6.0;
    /// let opening = formed.opening(3.0, collapse);
    /// // It stays open a little before it comes off.
    /// assert!(opening.first_set < opening.pulls_open);
    /// ```
    #[must_use]
    pub fn opening(&self, arm_mm: f64, collapse_nmm: f64) -> Opening {
        let profile = self.bending.profile;
        let (thick, wider) = (profile.thickness_mm(), self.wider());
        // From well within what springs back to a bend as tight as wire bears.
        let (least, most) = (0.02 * self.bending.yield_curvature() / wider, 1.0 / thick);
        let ratio = (most / least).powf(1.0 / (STEPS - 1) as f64);
        let back: Vec<f64> = (0..STEPS).map(|i| least * ratio.powf(i as f64)).collect();
        let moments = self.moments(&back);
        let stiffness = moments.first().map_or(f64::INFINITY, |first| first / least);
        // How far a place is bent by a moment: between the moments that were worked out, by their logarithms.
        let bent = |moment: f64| -> f64 {
            match moments.iter().position(|known| *known >= moment) {
                Some(0) => moment / stiffness,
                Some(i) => {
                    let (low, high) = (moments[i - 1], moments[i]);
                    let share = (moment / low).ln() / (high / low).ln().max(1e-12);
                    back[i - 1] * ratio.powf(share)
                }
                None => most,
            }
        };
        // How far a mouth stays open once it was pulled with a moment at this place.
        let stays = |moment: f64| -> f64 {
            let step = FRAC_PI_2 / f64::from(SLICES);
            let at = |i: u32| {
                let sin = ((f64::from(i) + 0.5) * step).sin();
                (bent(moment * sin) - moment * sin / stiffness) * (1.0 + sin)
            };
            2.0 * arm_mm * arm_mm * step * (0..SLICES).map(at).sum::<f64>()
        };
        // The greatest moment after which less than that stays, by halving.
        let until = |limit: f64| {
            let (mut low, mut high) = (0.0, moments.last().copied().unwrap_or(collapse_nmm));
            for _ in 0..24 {
                let middle = f64::midpoint(low, high);
                if stays(middle) < limit { low = middle } else { high = middle }
            }
            low
        };
        // A section that was hammered is thinner across as well; both moments are of the same metal.
        let grown = profile.hammered_modulus_mm3(self.thickness_mm) / profile.plastic_modulus_mm3() / wider;
        let share = |moment: f64| moment * grown / collapse_nmm;
        Opening { first_set: share(until(FIRST_SET_MM)), pulls_open: share(until(thick * wider)) }
    }
}
