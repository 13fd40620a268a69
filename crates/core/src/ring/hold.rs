//! What opens a ring, and what winding spends of its metal. All of it estimates.

use crate::tool::coil::Coil;
use crate::tool::mandrel::Outline;
use crate::wire::Wire;
use crate::wire::bending::Bending;
use crate::wire::section::Profile;
use crate::wire::strength::{outer_strain, strain_left};

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
