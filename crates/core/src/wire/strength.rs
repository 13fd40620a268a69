//! How much more a bend bears, and what effort it takes. All of it estimates.

use crate::wire::Wire;
use crate::wire::bending::FlowCurve;
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::{Profile, Section};

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

/// Effort of one bend by hand, as a multiple of 20 AWG soft copper: the ratio of plastic moments.
pub fn hand_effort(wire: &Wire) -> f64 {
    let moment = |metal: Metal, temper: Temper, profile: Profile| {
        let flow = FlowCurve::new(metal.figures(), temper.strain());
        flow.flow_stress(0.0) * profile.plastic_modulus_mm3()
    };
    let yardstick = Profile { section: Section::Round, size_mm: 0.127 * 92f64.powf(16.0 / 39.0) };
    moment(wire.metal, wire.temper, wire.profile()) / moment(Metal::Copper, Temper::Soft, yardstick)
}
