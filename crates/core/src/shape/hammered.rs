//! Hammered rings: how they grow, and how large they must be before.

use crate::fault::Fault;
use crate::tool::outline::Outline;
use crate::wire::Wire;
use crate::wire::section::{LENGTH_SHARE, Profile, WIDTH_SHARE};
use crate::words::length::both;
use lorimant_text::text;
use std::f64::consts::PI;

/// Strain of hammering to a thickness: `e = ln(h/t)`.
fn strain(profile: Profile, to_mm: f64) -> f64 {
    (profile.thickness_mm() / to_mm).max(1.0).ln()
}

/// Width of the wire in the ring's plane afterwards, mm: `h·exp(0.7e)`.
///
/// ```
/// use lorimant_core::shape::hammered::width_mm;
/// use lorimant_core::wire::section::{Profile, Section};
///
/// let wire = Profile { section: Section::Round, size_mm: 1.0 };
/// assert_eq!(width_mm(wire, 1.0), 1.0);
/// assert!(width_mm(wire, 0.7) > 1.2);
/// ```
#[must_use]
pub fn width_mm(profile: Profile, to_mm: f64) -> f64 {
    profile.size_mm * (WIDTH_SHARE * strain(profile, to_mm)).exp()
}

/// What a shut ring becomes once it is hammered: its middle line grows by `exp(0.3e)`, its wire to [`width_mm`]. None
/// where no opening is left.
///
/// ```
/// use lorimant_core::shape::hammered::{before, grown};
/// use lorimant_core::tool::outline::Outline;
/// use lorimant_core::wire::section::{Profile, Section};
///
/// let wire = Profile { section: Section::Round, size_mm: 1.0 };
/// let ring = Outline::Round { diameter: 6.0 };
/// let hammered = grown(wire, ring, 0.75).unwrap();
/// // Back again to what it was.
/// assert!((before(wire, hammered, 0.75).unwrap().across() - 6.0).abs() < 1e-12);
/// ```
#[must_use]
pub fn grown(profile: Profile, inside: Outline, to_mm: f64) -> Option<Outline> {
    grown_from(profile.size_mm, profile.thickness_mm(), inside, to_mm)
}

/// The same of wire that is so wide and so thick by now.
#[must_use]
pub fn grown_from(wide_mm: f64, thick_mm: f64, inside: Outline, to_mm: f64) -> Option<Outline> {
    let e = (thick_mm / to_mm).max(1.0).ln();
    let middle = (inside.perimeter() + PI * wide_mm) * (LENGTH_SHARE * e).exp();
    let around = middle - PI * wide_mm * (WIDTH_SHARE * e).exp();
    (around > 0.0).then(|| inside.with_perimeter(around))
}

/// The shut ring to hammer so that this one comes of it; none where it would have no opening.
#[must_use]
pub fn before(profile: Profile, inside: Outline, to_mm: f64) -> Option<Outline> {
    let (e, wide) = (strain(profile, to_mm), width_mm(profile, to_mm));
    let middle = (inside.perimeter() + PI * wide) / (LENGTH_SHARE * e).exp();
    let around = middle - PI * profile.size_mm;
    (around > 0.0).then(|| inside.with_perimeter(around))
}

/// Refuses to hammer wire thicker, or to foil.
///
/// # Errors
/// A fault at `hammered_mm`.
pub fn check(wire: &Wire, to_mm: f64) -> Result<(), Fault> {
    let h = wire.profile().thickness_mm();
    let least = 0.2 * h;
    if to_mm < h && to_mm >= least {
        return Ok(());
    }
    let (message, limit) = if to_mm >= h {
        (text!("hammered-cannot-be-hammered-thicker"), h)
    } else {
        (text!("hammered-would-be-foil"), least)
    };
    let message = text!(
        "hammered-wire-thick-hammered-can-be",
        h = both(h),
        to_mm = both(to_mm),
        message,
        least = both((least * 100.0).ceil() / 100.0)
    );
    Err(Fault::new("hammered_mm", message).limit(limit))
}
