//! The rod a ring takes off a lot, by the handbook and with what was measured; and the coil that would teach it most.

use serde::Serialize;

use super::lot::{Inside, LotLearned, inside_with, shared_mm, slope};
use crate::ring::RingRequest;
use crate::tool::mandrel::Mandrel;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::lot::LotFactor;
use crate::words::length::{caliper, caliper_step_mm};
use lorimant_text::text;

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
    /// In a sentence: which rod, and where it stays the same, why and what would help.
    pub text: String,
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
        let choice = plan.target(inside_mm).choose(workshop).ok()?;
        let rod = choice.candidates.into_iter().next()?;
        let plan = plan.target(inside_mm).on(rod.mandrel);
        let spread = plan.plan_in(workshop).ok()?.ring_inside_hand_mm;
        Some((rod.label, rod.ring_inside_diameter_mm, choice.mandrel_diameter_mm, plan, spread))
    };
    let (handbook, .., handbook_mm) = takes(&before)?;
    let (now, gives_mm, ideal_mm, request, now_mm) = takes(&of(lot))?;
    let unit = workshop.habits.unit;
    let shown = |mm: f64| caliper(mm, unit);
    let surer = match (shown(now_mm), shown(handbook_mm)) {
        (now, before) if now != before => text!("rod-instead", now, before),
        (now, _) => format!(", ± {now}"),
    };
    let ring = text!("rod-ring-inside", inside_mm = shown(inside_mm));
    let text = if now != handbook {
        text!("rod-now-needs-instead", ring, now, handbook, surer)
    } else if (gives_mm - inside_mm).abs() <= caliper_step_mm(inside_mm, unit) {
        text!("rod-still-needs", ring, now, surer)
    } else {
        text!(
            "rod-still-your-closest-but-its",
            ring,
            now,
            gives_mm = shown(gives_mm),
            ideal_mm = shown(ideal_mm)
        )
    };
    Some(RodNow { inside_mm, handbook, now, request, handbook_mm, now_mm, text })
}

/// The coil to wind and measure next.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct NextCoil {
    /// The rod to wind it on.
    pub rod: String,
    /// One standard deviation of the lot's factor once it is measured.
    pub spread: f64,
    /// In a sentence.
    pub text: String,
}

/// A coil is worth its wire when it leaves no more than this share of the spread.
const WORTH_IT: f64 = 0.75;
/// Readings of a coil, turned between them.
const READINGS_N: u32 = 3;
/// Coils for measuring are wound on rods from 2 to 12 times as thick as the wire: closer ones crack, wider ones wobble.
const RATIOS: std::ops::RangeInclusive<f64> = 2.0..=12.0;

/// The rod whose coil would narrow what is known of a lot the most; nothing where none is worth its wire. A rod that was
/// measured already says little more: its own error stays.
///
/// ```
/// use lorimant_core::learn::lot::learn;
/// use lorimant_core::learn::rod::next_coil;
/// use lorimant_core::ring::RingRequest;
/// use lorimant_core::tool::mandrel::Mandrel;
/// use lorimant_core::tool::workshop::Workshop;
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
///
/// let shop = Workshop { rods: [4.0, 5.0, 8.0].map(Mandrel::round).to_vec(), ..Workshop::default() };
/// let plan = RingRequest::new(Wire::round(Metal::Copper, 1.0, Temper::Hard), Mandrel::round(5.0), 40);
/// // A coil springs the more, the larger it is.
/// let next = next_coil(&learn(&[], &shop.hand), &plan, &shop).unwrap();
/// assert!(next.rod.contains("8 mm") && next.spread < 0.1);
/// ```
#[must_use]
pub fn next_coil(learned: &LotLearned, request: &RingRequest, workshop: &Workshop) -> Option<NextCoil> {
    let wire = Wire { lot: None, ..request.wire.clone() };
    let fits = |mm: f64| RATIOS.contains(&(mm / wire.size_mm));
    let known = |rod: &Mandrel| {
        learned
            .rods
            .iter()
            .any(|known| known.shape == rod.shape && (known.diameter_mm - rod.diameter_mm).abs() < 0.01)
    };
    let rods = workshop.rods.iter().filter(|rod| fits(rod.diameter_mm) && !known(rod));
    let then = |wound: &RingRequest| {
        let own = workshop.hand.of_one(false, false, READINGS_N);
        let error_mm = shared_mm(wound, Inside::Coil, &workshop.hand).hypot(own);
        let says = slope(wound, Inside::Coil, learned.flow) / error_mm;
        (learned.spread.powi(-2) + says.powi(2)).powf(-0.5)
    };
    let coils = rods.filter_map(|rod| {
        let wound = RingRequest { mandrel: rod.clone(), wire: wire.clone(), ..request.clone() };
        wound.plan_in(workshop).ok().map(|_| (rod, then(&wound)))
    });
    let (rod, spread) = coils.min_by(|a, b| a.1.total_cmp(&b.1))?;
    (spread < WORTH_IT * learned.spread).then(|| {
        let rod = rod.shown();
        let per_cent = |share: f64| format!("{:.0} %", 100.0 * share.max(0.01));
        let text = text!(
            "rod-next-measure-coil-on-narrows",
            rod,
            spread = per_cent(learned.spread),
            spread2 = per_cent(spread)
        );
        NextCoil { rod, spread, text }
    })
}
