//! How much more a bend bears, what opens a piece, and what effort a bend takes. All of it estimates.

use crate::figure::Level;
use crate::wire::Wire;
use crate::wire::bending::{Bending, FlowCurve};
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::{Profile, Section};
use crate::words::length::shown;

/// Share of the metal's remaining strain above which to warn: anneal, or bend wider.
pub const WATCH_STRAIN: f64 = 0.6;
/// Share above which the wire is expected to crack.
pub const CRACK_STRAIN: f64 = 1.0;
/// Strain every metal is taken to have left, however hard it is sold.
const LEAST_LEFT: f64 = 0.06;
/// Standard gravity, m/s²: newtons in a kilogram-force.
pub const GRAVITY: f64 = 9.806_65;

/// How much attention a bend asks for that takes such a share of the strain its metal has left; none where it is at ease.
#[must_use]
pub fn strain_level(share: f64) -> Option<Level> {
    match share {
        share if share > CRACK_STRAIN => Some(Level::Stop),
        share if share > WATCH_STRAIN => Some(Level::Watch),
        _ => None,
    }
}

/// The mass whose weight pulls with so many newtons, g.
#[must_use]
pub fn grams_that_pull(newtons: f64) -> f64 {
    newtons / GRAVITY * 1000.0
}

/// A pull as a maker feels it, the weight that pulls so, in two figures: a number and `g` or `kg`. Newtons are for the
/// working.
///
/// ```
/// use lorimant_core::wire::strength::weight_that_pulls;
///
/// assert_eq!(weight_that_pulls(6.56), ("670".to_owned(), "g"));
/// assert_eq!(weight_that_pulls(41.3), ("4.2".to_owned(), "kg"));
/// assert_eq!(weight_that_pulls(170.0), ("17".to_owned(), "kg"));
/// ```
#[must_use]
pub fn weight_that_pulls(newtons: f64) -> (String, &'static str) {
    let grams = grams_that_pull(newtons);
    let tens = 10_f64.powf(grams.max(1.0).log10().floor() - 1.0);
    let grams = (grams / tens).round() * tens;
    match grams {
        grams if grams >= 1000.0 => (shown(grams / 1000.0, 1), "kg"),
        grams => (shown(grams, if grams < 10.0 { 1 } else { 0 }), "g"),
    }
}

/// The same in one text: `670 g`.
///
/// ```
/// use lorimant_core::wire::strength::load_told;
///
/// assert_eq!(load_told(6.56), "670 g");
/// ```
pub fn load_told(newtons: f64) -> String {
    let (weight, unit) = weight_that_pulls(newtons);
    format!("{weight} {unit}")
}

/// Strain that two hours of tumbling in steel shot put into the wire. Trade experience, an estimate.
pub const TUMBLED: f64 = 0.08;
/// How deep the shot works, mm. An estimate.
const TUMBLED_DEEP_MM: f64 = 0.15;

/// Mean strain that two hours of tumbling add to what a wire so thick resists with: all of [`TUMBLED`] in its surface, of the
/// whole section the share of the plastic modulus that lies so deep, `1 − (1 − 2δ/d)³`.
///
/// ```
/// use lorimant_core::wire::strength::{TUMBLED, tumbled_strain};
///
/// // Fine wire is worked right through, thick wire only at its surface.
/// assert!(tumbled_strain(0.3) == TUMBLED && tumbled_strain(3.0) < 0.3 * TUMBLED);
/// ```
#[must_use]
pub fn tumbled_strain(thickness_mm: f64) -> f64 {
    let core = (1.0 - 2.0 * TUMBLED_DEEP_MM / thickness_mm).max(0.0);
    TUMBLED * (1.0 - core.powi(3))
}

/// Strain that a mallet all over puts into it. Trade experience, an estimate.
pub const MALLETED: f64 = 0.08;

/// True strain of the outer fibre of a bend of centroid radius `radius_mm`: `ln(1 + h/(2R))`.
///
/// ```
/// use lorimant_core::wire::section::{Profile, Section};
/// use lorimant_core::wire::strength::outer_strain;
///
/// let wire = Profile { section: Section::Round, size_mm: 1.0 };
/// assert!((outer_strain(wire, 2.5) - 1.2_f64.ln()).abs() < 1e-12);
/// ```
pub fn outer_strain(profile: Profile, radius_mm: f64) -> f64 {
    (1.0 + profile.thickness_mm() / (2.0 * radius_mm)).ln()
}

/// Strain this wire has left before it breaks, as sold: `max(εf − 0.4·temper, 0.06)`, since drawing damages little.
///
/// ```
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
/// use lorimant_core::wire::strength::strain_left;
///
/// let left = |temper| strain_left(&Wire::round(Metal::Copper, 1.0, temper));
/// assert!(left(Temper::Soft) > left(Temper::HalfHard));
/// assert!(left(Temper::Spring) > 0.0, "even spring wire bends a little before it cracks");
/// ```
pub fn strain_left(wire: &Wire) -> f64 {
    strain_left_after(wire.metal, wire.temper.bearing_spent())
}

/// Strain a metal has left before it breaks, where so much of what it bears is spent since it was annealed:
/// `max(εf − spent, 0.06)`.
///
/// ```
/// use lorimant_core::wire::metal::Metal;
/// use lorimant_core::wire::strength::strain_left_after;
///
/// assert_eq!(strain_left_after(Metal::Copper, 0.0), Metal::Copper.figures().fracture_strain);
/// ```
pub fn strain_left_after(metal: Metal, spent: f64) -> f64 {
    (metal.figures().fracture_strain - spent).max(LEAST_LEFT)
}

/// Plastic collapse at one place of a piece, N: the plastic moment there over the arm of the pull, `F = σ·Z/arm`.
///
/// `wound_mm` is the centroid radius the place was bent to on the tool, which hardened it by the mean of
/// `|y|/R`; none where it stayed straight. `extra` is strain put in all over afterwards. What of that opens the piece says
/// [`Formed::opening`](crate::wire::opening::Formed::opening).
///
/// ```
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
/// use lorimant_core::wire::bending::Bending;
/// use lorimant_core::wire::strength::collapse_n;
///
/// let bending = Bending::of(&Wire::round(Metal::Copper, 1.0, Temper::Soft));
/// // The plastic moment over its arm: an arm twice as long opens at half the pull.
/// let pull = |arm_mm| collapse_n(&bending, arm_mm, None, 0.0);
/// assert!((pull(3.0) / pull(6.0) - 2.0).abs() < 1e-12);
/// // What forming hardened holds more.
/// assert!(collapse_n(&bending, 3.0, Some(3.0), 0.0) > pull(3.0));
/// ```
pub fn collapse_n(bending: &Bending, arm_mm: f64, wound_mm: Option<f64>, extra: f64) -> f64 {
    let worked = wound_mm.map_or(0.0, |radius| bending.mean_strain(radius)) + extra;
    bending.flow.flow_stress(worked) * bending.profile.plastic_modulus_mm3() / arm_mm
}

/// Effort of one bend by hand, as a multiple of 20 AWG soft copper: the ratio of plastic moments.
///
/// ```
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
/// use lorimant_core::wire::strength::hand_effort;
/// use lorimant_core::words::gauge::{Gauge, GaugeSystem};
///
/// // 20 AWG soft copper is 1 by definition.
/// let size_mm = Gauge { system: GaugeSystem::Awg, number: 20 }.mm();
/// assert!((hand_effort(&Wire::round(Metal::Copper, size_mm, Temper::Soft)) - 1.0).abs() < 1e-9);
/// // Twice as thick asks eight times the hand.
/// assert!((hand_effort(&Wire::round(Metal::Copper, 2.0 * size_mm, Temper::Soft)) - 8.0).abs() < 1e-6);
/// ```
pub fn hand_effort(wire: &Wire) -> f64 {
    let moment = |metal: Metal, temper: Temper, profile: Profile| {
        let flow = FlowCurve::new(metal.figures(), temper.strain());
        flow.flow_stress(0.0) * profile.plastic_modulus_mm3()
    };
    let yardstick = Profile { section: Section::Round, size_mm: 0.127 * 92f64.powf(16.0 / 39.0) };
    moment(wire.metal, wire.temper, wire.profile()) / moment(Metal::Copper, Temper::Soft, yardstick)
}
