//! How much more a bend bears, and what opens a ring. All of it estimates.

use crate::bending::{Bending, FlowCurve};
use crate::coil::Coil;
use crate::mandrel::Outline;
use crate::metal::{Metal, Temper};
use crate::section::{Profile, Section};
use crate::wire::Wire;

/// Share of the metal's remaining strain above which to warn: anneal, or bend wider.
pub const WATCH_STRAIN: f64 = 0.6;
/// Share above which the wire is expected to crack.
pub const CRACK_STRAIN: f64 = 1.0;
/// Strain every metal is taken to have left, however hard it is sold.
const LEAST_LEFT: f64 = 0.06;
/// Standard gravity, m/s²: newtons in a kilogram-force.
pub const GRAVITY: f64 = 9.806_65;

/// True strain of the outer fibre of a bend of centroid radius `radius_mm`: `ln(1 + h/(2R))`.
pub fn outer_strain(profile: Profile, radius_mm: f64) -> f64 {
    (1.0 + profile.thickness_mm() / (2.0 * radius_mm)).ln()
}

/// Strain this wire has left before it breaks, as sold: `max(εf − temper, 0.06)`.
pub fn strain_left(wire: &Wire) -> f64 {
    (wire.metal.figures().fracture_strain - wire.temper.strain()).max(LEAST_LEFT)
}

/// Share of the strain left that winding uses at the outer fibre of the coil's tightest bend.
pub fn strain_used(wire: &Wire, coil: &Coil) -> f64 {
    outer_strain(coil.profile, coil.tightest_mm()) / strain_left(wire)
}

/// Flow stress of the wire once it has been wound, MPa: its temper plus the mean working of the
/// bend, `mean |y|/R` over the section.
pub fn wound_flow_stress(wire: &Wire, coil: &Coil) -> f64 {
    let bending = Bending::of(wire);
    bending.flow.flow_stress(bending.mean_strain(coil.tightest_mm()))
}

/// Arm of the pull that opens a closed ring, mm: half its mean diameter; for an oval, pulled along
/// its long axis, half its short mean axis.
pub fn opening_arm_mm(inside: Outline, profile: Profile) -> f64 {
    inside.short_across() / 2.0 + profile.thickness_mm() / 2.0
}

/// Load that opens an unsoldered closed ring pulled across with its gap at the side, N:
/// `F = Mp/arm`, `Mp = σ·Z`. A plastic-collapse estimate for the piece as bent, not a rating.
pub fn opening_force_n(wire: &Wire, coil: &Coil, inside: Outline) -> f64 {
    let moment = wound_flow_stress(wire, coil) * coil.profile.plastic_modulus_mm3();
    moment / opening_arm_mm(inside, coil.profile)
}

/// Effort of one bend by hand, as a multiple of 20 AWG soft copper: the ratio of plastic moments.
pub fn hand_effort(wire: &Wire) -> f64 {
    let moment = |metal: Metal, temper: Temper, profile: Profile| {
        let flow = FlowCurve::new(&metal.figures(), temper.strain());
        flow.flow_stress(0.0) * profile.plastic_modulus_mm3()
    };
    let yardstick = Profile { section: Section::Round, size_mm: 0.127 * 92f64.powf(16.0 / 39.0) };
    moment(wire.metal, wire.temper, wire.profile()) / moment(Metal::Copper, Temper::Soft, yardstick)
}
