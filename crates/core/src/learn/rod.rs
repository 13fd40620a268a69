//! The rod a ring takes off a lot, by the handbook and with what was measured.

use serde::Serialize;

use super::lot::{Inside, inside_with};
use crate::ring::RingRequest;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::lot::LotFactor;

/// The rod a ring takes off a lot, against the handbook.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct RodNow {
    /// The ring that was planned, mm inside.
    pub inside_mm: f64,
    /// The rod the handbook would take.
    pub handbook: String,
    /// The rod to take now.
    pub now: String,
    /// The plan with it.
    pub request: RingRequest,
    /// One standard deviation of its ring before anything was measured, mm.
    pub handbook_mm: f64,
    /// The same now, mm.
    pub now_mm: f64,
}

/// The rod that the ring of a plan takes by the handbook, and with what was learned of its lot; nothing where no rod of the
/// workshop gives it.
///
/// ```
/// use lorimant_core::learn::rod::rod_now;
/// use lorimant_core::ring::RingRequest;
/// use lorimant_core::tool::mandrel::Mandrel;
/// use lorimant_core::tool::workshop::{StartSet, Workshop};
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::lot::LotFactor;
/// use lorimant_core::wire::metal::{Metal, Temper};
///
/// let shop = Workshop { rods: StartSet::MetricTenths.rods(), ..Workshop::default() };
/// let plan = RingRequest::new(Wire::round(Metal::Copper, 1.0, Temper::Hard), Mandrel::round(5.0), 40);
/// // A lot that springs more wants a thinner rod, and its ring is surer.
/// let rod = rod_now(&plan, LotFactor { lot_n: 5, flow: 1.3, spread: 0.02 }, &shop).unwrap();
/// assert!(rod.request.mandrel.diameter_mm < 5.0 && rod.now_mm < rod.handbook_mm);
/// ```
#[must_use]
pub fn rod_now(request: &RingRequest, lot: LotFactor, workshop: &Workshop) -> Option<RodNow> {
    let of = |lot: LotFactor| {
        let wire = Wire { lot: Some(lot), ..request.wire.clone() };
        RingRequest { wire, ..request.clone() }
    };
    let before = of(LotFactor::unmeasured(lot.lot_n));
    let inside_mm = request.wish.inside_mm.or_else(|| inside_with(&before, Inside::Ring, 1.0))?;
    let takes = |plan: &RingRequest| {
        let rod = plan.target(inside_mm).choose(workshop).ok()?.candidates.into_iter().next()?;
        let plan = plan.target(inside_mm).on(rod.mandrel);
        let spread = plan.plan_in(workshop).ok()?.ring_inside_hand_mm;
        Some((rod.shown, plan, spread))
    };
    let (handbook, _, handbook_mm) = takes(&before)?;
    let (now, request, now_mm) = takes(&of(lot))?;
    Some(RodNow { inside_mm, handbook, now, request, handbook_mm, now_mm })
}
