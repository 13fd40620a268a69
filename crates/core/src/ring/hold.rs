//! What opens a ring, and what winding spends of its metal. All of it estimates.

use crate::tool::coil::Coil;
use crate::tool::mandrel::Outline;
use crate::wire::Wire;
use crate::wire::bending::Bending;
use crate::wire::section::Profile;
use crate::wire::strength::{self, outer_strain, strain_left};

/// Share of the strain left that winding uses at the outer fibre of the coil's tightest bend.
pub fn strain_used(wire: &Wire, coil: &Coil) -> f64 {
    outer_strain(coil.profile, coil.tightest_mm()) / strain_left(wire)
}

/// Arm of the pull that opens a closed ring, mm: from the line of pull, along the long way, to the middle of the
/// wire at the side.
pub fn opening_arm_mm(inside: Outline, profile: Profile) -> f64 {
    inside.short_across() / 2.0 + profile.centroid_mm()
}

/// Load that opens an unsoldered closed ring pulled across with its gap at the side, N.
///
/// It gives at the side opposite the gap: as hard as it was wound there; the flat of a shaped ring as hard as the
/// wire was sold.
pub fn opening_force_n(wire: &Wire, coil: &Coil, inside: Outline) -> f64 {
    let profile = coil.profile;
    let wound = coil.wound.side_radius().map(|radius| radius + profile.centroid_mm());
    strength::opening_force_n(&Bending::of(wire), opening_arm_mm(inside, profile), wound, 0.0)
}
