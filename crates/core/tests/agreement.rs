//! A ring planned on a rod and the same ring as a finding are one ring: rod, size and load agree. Ovals, shaped rings
//! and cones spring like everything else; what opens, opens by closed forms.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{ring_of, with};
use lorimant_core::making::Operation;
use lorimant_core::pattern::PatternRequest;
use lorimant_core::ring::{RingPlan, RingRequest};
use lorimant_core::tool::coil::{Coil, Cone, outline_for};
use lorimant_core::tool::cutting::{Cutting, Method};
use lorimant_core::tool::hand::HandSpread;
use lorimant_core::tool::mandrel::{Mandrel, Shape};
use lorimant_core::tool::outline::Outline;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::bending::Bending;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::Section;
use lorimant_core::wire::strength::strain_left;
use lorimant_core::wire::surface::Surface;
use proptest::prelude::*;
use rstest::rstest;

fn finding(kind: &str, wire: &Wire, parameters: &[(&str, f64)]) -> PatternRequest {
    PatternRequest { wire: wire.clone(), ..with(kind, parameters) }
}

/// A ring snipped from its coil: nothing is taken, so what is left of the coil is the ring.
fn snipped(wire: &Wire, mandrel: Mandrel) -> RingRequest {
    let cutting = Cutting { method: Method::SingleSnip, ..Cutting::default() };
    RingRequest { wire: wire.clone(), mandrel, cutting, ..ring_of(1.0, 5.0) }
}

/// Load and share of stretch of the finding, and the rod it asks for, mm, in a workshop without tools.
fn as_finding(request: &PatternRequest) -> (f64, f64, f64) {
    let finished = request.finished(&Workshop::default()).unwrap();
    let load = finished.holds().unwrap().pulls_open_n;
    let used = finished.tightest().unwrap().1;
    let bent = finished.made.steps.iter().filter(|step| step.operation != Operation::Straighten);
    let rod = bent.filter_map(|step| step.numbers.tool_mm).next().unwrap_or(f64::NAN);
    (load, used, rod)
}

fn collapse_n(request: &PatternRequest) -> f64 {
    request.finished(&Workshop::default()).unwrap().gives.unwrap().collapse_n()
}

fn close(a: f64, b: f64, share: f64) -> bool {
    (a / b - 1.0).abs() < share
}

fn any_wire() -> impl Strategy<Value = Wire> {
    (
        proptest::sample::select(Metal::ALL),
        proptest::sample::select(Section::ALL),
        0.5..2.5_f64,
        proptest::sample::select(vec![Temper::Soft, Temper::QuarterHard, Temper::HalfHard, Temper::Hard]),
    )
        .prop_map(|(metal, section, size_mm, temper)| Wire {
            metal,
            section,
            size_mm,
            temper,
            surface: Surface::Bare,
            lot: None,
        })
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(400))]

    #[test]
    fn a_round_ring_is_one_ring_however_it_is_planned(wire in any_wire(), ratio in 2.2..9.0_f64) {
        let rod = Mandrel::round(ratio * wire.size_mm);
        let request = snipped(&wire, rod.clone());
        let Ok(plan) = request.plan() else { return Ok(()) };
        prop_assume!(plan.ring_inside_diameter_mm < 90.0);
        let one = finding("round-ring", &wire, &[("inside_mm", plan.ring_inside_diameter_mm)]);
        let (load, used, tool) = as_finding(&one);
        prop_assert!(close(load, plan.opening_force_n, 1e-6), "load {load} and {}", plan.opening_force_n);
        prop_assert!(close(used, plan.strain_used, 1e-6), "strain {used} and {}", plan.strain_used);
        prop_assert!(close(tool, rod.diameter_mm, 1e-6), "rod {tool} and {}", rod.diameter_mm);
        // Its wire: one turn, but for the climb of the coil.
        let flat = one.form().unwrap().developed_mm();
        prop_assert!(close(flat.hypot(plan.gap_step_mm), plan.ring_length_mm, 1e-6), "{flat} {}", plan.ring_length_mm);
    }

    #[test]
    fn an_oval_ring_is_one_ring_however_it_is_planned(wire in any_wire(), ratio in 3.0..8.0_f64, flat in 0.5..0.95_f64) {
        let long = ratio * wire.size_mm;
        let rod = Mandrel { shape: Shape::Oval, short_mm: Some(flat * long), ..Mandrel::round(long) };
        let request = snipped(&wire, rod.clone());
        let Ok(plan) = request.plan() else { return Ok(()) };
        prop_assume!(plan.ring_inside_diameter_mm < 90.0 && plan.ring_inside_short_mm > 0.9);
        let sizes = [("long_mm", plan.ring_inside_diameter_mm), ("short_mm", plan.ring_inside_short_mm)];
        let one = finding("oval-ring", &wire, &sizes);
        let (load, _, tool) = as_finding(&one);
        prop_assert!(close(load, plan.opening_force_n, 1e-5), "load {load} and {}", plan.opening_force_n);
        prop_assert!(close(tool, rod.diameter_mm, 1e-5), "rod {tool} and {}", rod.diameter_mm);
    }

    #[test]
    fn the_outline_for_a_ring_gives_that_ring(wire in any_wire(), across in 4.0..30.0_f64, short in 0.4..1.0_f64, shape in 0..4_usize) {
        let bending = Bending::of(&wire);
        let flats = |sides| Outline::Flats { sides, across, corner: 0.5 };
        let wanted = [Outline::Round { diameter: across }, Outline::Oval { long: across, short: short * across }, flats(4), flats(6)][shape];
        if let Some(rod) = outline_for(&bending, wanted) {
            let left = Coil::wind_with(&bending, rod).unwrap().relaxed;
            prop_assert!(close(left.across(), wanted.across(), 1e-6), "{left:?} for {wanted:?}");
            prop_assert!(close(left.perimeter(), wanted.perimeter(), 1e-5), "{left:?} for {wanted:?}");
            prop_assert!(rod.across() <= wanted.across() + 1e-9, "wound no wider than what is left");
        }
    }

    #[test]
    fn a_cone_wound_for_is_the_cone_that_is_left(wire in any_wire(), small in 1.5..5.0_f64, wider in 1.2..4.0_f64, turns in 3.0..20.0_f64) {
        let bending = Bending::of(&wire);
        let wanted = Cone { small_mm: small, large_mm: small * wider, turns };
        if let Some(wound) = wanted.wound_for(&bending) && wound.small_mm > 0.0 {
            let left = wound.let_go(&bending).unwrap();
            prop_assert!((left.small_mm - small).abs() < 1e-6 && (left.large_mm - small * wider).abs() < 1e-6, "{left:?}");
            prop_assert!(close(left.turns, turns, 1e-9) && wound.turns >= turns, "{wound:?}");
        }
    }
}

/// Acceptance figures of an independent program: copper round 1.0237 soft, wound from 2.0 to 6.5 in 8 turns.
#[test]
fn a_cone_springs_at_both_mouths() {
    let wire = Wire {
        metal: Metal::Copper,
        section: Section::Round,
        size_mm: 1.0237,
        temper: Temper::Soft,
        surface: Surface::Bare,
        lot: None,
    };
    let left = Cone { small_mm: 2.0, large_mm: 6.5, turns: 8.0 }.let_go(&Bending::of(&wire)).unwrap();
    assert!((left.small_mm - 2.0216).abs() < 0.003, "{left:?}");
    assert!((left.large_mm - 6.5922).abs() < 0.003, "{left:?}");
    assert!((left.turns - 7.923).abs() < 0.003, "{left:?}");
}

/// A square ring gives at its flat, which was never bent: F = σ(temper)·a³/4 over half its mean width, by hand.
#[test]
fn a_shaped_ring_gives_at_its_flat() {
    let wire = Wire {
        metal: Metal::Copper,
        section: Section::Square,
        size_mm: 1.2,
        temper: Temper::HalfHard,
        surface: Surface::Bare,
        lot: None,
    };
    let plan: RingPlan =
        snipped(&wire, Mandrel { shape: Shape::Square, ..Mandrel::round(8.0) }).plan().unwrap();
    let stress = 360.0 - (360.0 - 70.0) * (-0.464_f64 / 0.48).exp();
    let across = plan.ring_inside_short_mm;
    let expected = stress * 1.2_f64.powi(3) / 4.0 / (across / 2.0 + 0.6);
    let one = finding("shaped-ring", &wire, &[("across_mm", across), ("corner_mm", 0.8)]);
    assert!(close(collapse_n(&one), expected, 1e-9), "{} for {expected}", collapse_n(&one));
    assert!(close(as_finding(&one).0, plan.opening_force_n, 1e-9), "{}", plan.opening_force_n);
}

/// An oval pulled along its long way gives at the end of the short one, where its rod curves by a²/b.
#[test]
fn an_oval_ring_gives_where_it_is_bent_least() {
    let wire = Wire {
        metal: Metal::Copper,
        section: Section::Round,
        size_mm: 1.0,
        temper: Temper::Soft,
        surface: Surface::Bare,
        lot: None,
    };
    let rod = Mandrel { shape: Shape::Oval, short_mm: Some(4.0), ..Mandrel::round(6.0) };
    let plan = snipped(&wire, rod).plan().unwrap();
    let radius = 3.0 * 3.0 / 2.0 + 0.5;
    let worked = 2.0 / (3.0 * std::f64::consts::PI) / radius;
    let stress = 360.0 - (360.0 - 70.0) * (-worked / 0.48_f64).exp();
    let expected = stress / 6.0 / (plan.ring_inside_short_mm / 2.0 + 0.5);
    let sizes = [("long_mm", plan.ring_inside_diameter_mm), ("short_mm", plan.ring_inside_short_mm)];
    let one = finding("oval-ring", &wire, &sizes);
    assert!(close(collapse_n(&one), expected, 1e-4), "{} for {expected}", collapse_n(&one));
    assert!(close(as_finding(&one).0, plan.opening_force_n, 1e-5), "{}", plan.opening_force_n);
}

#[rstest]
#[case("eye-pin")]
#[case("plain-head-pin")]
#[case("balled-head-pin")]
#[case("paddle-head-pin")]
#[case("trefoil-head-pin")]
#[case("coil-cap")]
#[case("cone-cap")]
#[case("wrapped-loop-link")]
fn what_does_not_open_shows_no_opening_load(#[case] kind: &str) {
    let request = PatternRequest::usual(kind.parse().unwrap());
    let workshop = Workshop::default();
    let finished = request.finished(&workshop).unwrap();
    // What is closed for good does not open: it is drawn out of shape.
    assert!(finished.holds().is_none_or(|holds| holds.closed));
    assert!(finished.in_numbers(&workshop).opens_n.is_none());
    let figures = finished.figures(&workshop);
    assert!(
        figures.iter().all(|figure| figure.key != "opens" || figure.label.contains("out of shape")),
        "{kind}"
    );
}

/// A bend the other way would turn the flat of half-round wire outward; all bends one way are made.
#[rstest]
#[case("s-link", false)]
#[case("s-clasp", false)]
#[case("figure-eight", false)]
#[case("round-ring", true)]
#[case("cone-cap", true)]
fn half_round_wire_bends_one_way(#[case] kind: &str, #[case] made: bool) {
    let wire = Wire {
        metal: Metal::Copper,
        section: Section::HalfRound,
        size_mm: 1.6,
        temper: Temper::Soft,
        surface: Surface::Bare,
        lot: None,
    };
    let formed = finding(kind, &wire, &[]);
    match formed.form() {
        Ok(_) => assert!(made, "{kind}"),
        Err(faults) => {
            assert!(!made, "{kind}: {faults}");
            assert_eq!(faults.0[0].field, "wire.section");
            assert!(faults.0[0].message.contains("bends both ways"), "{faults}");
        }
    }
}

/// In the hand: every source added in squares; wood adds its own; a kerf only where there is one.
#[test]
fn the_spread_in_the_hand_adds_what_the_hand_does() {
    let wire = Wire {
        metal: Metal::Copper,
        section: Section::Round,
        size_mm: 1.0,
        temper: Temper::Soft,
        surface: Surface::Bare,
        lot: None,
    };
    let plan = snipped(&wire, Mandrel::round(5.0)).plan().unwrap();
    let hand = 4.0 * 0.02_f64.powi(2) + 0.03_f64.powi(2);
    let expected = (plan.ring_inside_spread_mm.powi(2) + hand).sqrt();
    assert!((plan.ring_inside_hand_mm - expected).abs() < 1e-12);
    let dowel = Mandrel { name: Some("beech dowel".to_owned()), ..Mandrel::round(5.0) };
    let wooden = snipped(&wire, dowel).plan().unwrap().ring_inside_hand_mm;
    assert!((wooden.powi(2) - plan.ring_inside_hand_mm.powi(2) - 0.05_f64.powi(2)).abs() < 1e-12);
    let steady = HandSpread {
        rod_mm: 0.0,
        coil_slack_mm: 0.0,
        closing_mm: 0.0,
        roundness_mm: 0.0,
        caliper_mm: 0.0,
        ..HandSpread::default()
    };
    let exact = snipped(&wire, Mandrel::round(5.0))
        .plan_in(&Workshop { hand: steady, ..Workshop::default() })
        .unwrap();
    assert!((exact.ring_inside_hand_mm - exact.ring_inside_spread_mm).abs() < 1e-12);
    assert!(HandSpread { closing_mm: -1.0, ..HandSpread::default() }.check().is_err());
    assert!(strain_left(&wire) > 0.0);
}
