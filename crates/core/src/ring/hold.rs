//! What opens a ring, and what winding spends of its metal. All of it estimates.

use crate::shape::hammered::width_mm;
use crate::tool::coil::Coil;
use crate::tool::outline::Outline;
use crate::wire::Wire;
use crate::wire::bending::Bending;
use crate::wire::section::Profile;
use crate::wire::strength::{self, outer_strain, strain_left_after};

/// Share of the strain left that winding uses at the outer fibre of the coil's tightest bend.
///
/// ```
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
/// use lorimant_core::ring::hold::strain_used;
/// use lorimant_core::tool::coil::Coil;
/// use lorimant_core::tool::mandrel::Mandrel;
///
/// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
/// let bending = lorimant_core::wire::bending::Bending::of(&wire);
/// let used = |rod: f64| strain_used(&bending, &wire, &Coil::wind(&wire, &Mandrel::round(rod)).unwrap(), None);
/// // A tighter coil uses more of what the metal has left.
/// assert!(used(2.0) > used(6.0));
/// ```
pub fn strain_used(bending: &Bending, wire: &Wire, coil: &Coil, hammered_mm: Option<f64>) -> f64 {
    let thick = coil.profile.thickness_mm();
    let hammered = hammered_mm.map_or(0.0, |to_mm| (thick / to_mm).max(1.0).ln());
    (outer_strain(coil.profile, coil.tightest_mm()) + hammered)
        / strain_left_after(wire.metal, bending.flow.spent)
}

/// Arm of the pull that opens a closed ring, mm: from the line of pull, along the long way, to the middle of the
/// wire at the side.
///
/// ```
/// use lorimant_core::ring::hold::opening_arm_mm;
/// use lorimant_core::tool::outline::Outline;
/// use lorimant_core::wire::section::{Profile, Section};
///
/// // From the line of pull to the middle of the wire at the ring's side.
/// let round = Profile { section: Section::Round, size_mm: 1.0 };
/// assert_eq!(opening_arm_mm(Outline::Round { diameter: 5.0 }, round), 3.0);
/// ```
pub fn opening_arm_mm(inside: Outline, profile: Profile) -> f64 {
    inside.short_across() / 2.0 + profile.centroid_mm()
}

/// Load that opens an unsoldered closed ring pulled across with its gap at the side, N.
///
/// It gives at the side opposite the gap: as hard as it was wound there; the flat of a shaped ring as hard as the
/// wire was sold.
pub fn opening_force_n(bending: &Bending, coil: &Coil, inside: Outline, hammered_mm: Option<f64>) -> f64 {
    let profile = coil.profile;
    let wound = coil.wound.side_radius().map(|radius| radius + profile.centroid_mm());
    let Some(to_mm) = hammered_mm else {
        return strength::opening_force_n(bending, opening_arm_mm(inside, profile), wound, 0.0);
    };
    // Flat, it is wider in its plane and harder.
    let arm = inside.short_across() / 2.0 + width_mm(profile, to_mm) / 2.0;
    let hardened = (profile.thickness_mm() / to_mm).max(1.0).ln();
    strength::collapse_n(bending, profile.hammered_modulus_mm3(to_mm), arm, wound, hardened)
}
