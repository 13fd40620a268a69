//! Ring plans: conservation of wire, backwards of forwards, counts, refusals.
#![allow(clippy::unwrap_used, clippy::panic, missing_docs)]

use std::f64::consts::PI;

use crate::common::ring_of;
use lorimant_core::ring::backwards::RingTarget;
use lorimant_core::ring::supply::Supply;
use lorimant_core::ring::{Ends, RingPlan, RingRequest, Winding, Wish};
use lorimant_core::tool::cutting::{Blade, Cutting, Method};
use lorimant_core::tool::mandrel::{Mandrel, Shape};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::opening::Formed;
use lorimant_core::wire::section::Section;
use lorimant_core::wire::surface::Surface;
use lorimant_core::words::length::Habits;
use proptest::prelude::*;
use rstest::rstest;

fn copper(size_mm: f64, rod: f64) -> RingRequest {
    let cutting = Cutting { blade: Some(Blade::B4o), ..Cutting::default() };
    RingRequest { rings_n: 120, cutting, ..ring_of(size_mm, rod) }
}

fn target(request: &RingRequest, inside: f64) -> RingTarget {
    RingTarget {
        wire: request.wire.clone(),
        target_inside_diameter_mm: inside,
        target_inside_short_mm: None,
        shape: request.mandrel.shape,
        rings_n: request.rings_n,
        winding: request.winding,
        cutting: request.cutting.clone(),
        ends: request.ends.clone(),
        pulls_n: request.pulls_n,
        hammered_mm: request.hammered_mm,
        route: request.route.clone(),
        rods: None,
    }
}

/// Copper 18 AWG on 5.0: the coil springs to 5.0641 (acceptance figure), the 0.22 mm kerf closes it
/// by 0.22/π.
#[test]
fn closing_a_sawn_ring_shrinks_it_by_kerf_over_pi() {
    let plan = copper(1.0237, 5.0).plan().unwrap();
    assert!((plan.coil_inside_diameter_mm - 5.0641).abs() < 0.002);
    assert!((plan.coil_inside_diameter_mm - plan.ring_inside_diameter_mm - 0.22 / PI).abs() < 1e-9);
    assert!((plan.ring_outside_diameter_mm - plan.ring_inside_diameter_mm - 2.0 * 1.0237).abs() < 1e-9);
}

#[rstest]
#[case(Method::DoubleFlush, false, 0.0)]
#[case(Method::SingleSnip, false, 0.0)]
#[case(Method::SingleSnip, true, 0.2 / PI)]
fn other_ways_of_cutting_close_by_what_they_take(
    #[case] method: Method,
    #[case] filed: bool,
    #[case] smaller: f64,
) {
    let request =
        RingRequest { cutting: Cutting { method, filed, ..Cutting::default() }, ..copper(1.0, 5.0) };
    let plan = request.plan().unwrap();
    let shrunk = plan.coil_inside_diameter_mm - plan.ring_inside_diameter_mm;
    assert!((shrunk - smaller).abs() < 1e-9);
}

/// 120 rings by double flush cutting: 120 turns, 120 slivers of 0.6 d, half a turn ragged.
#[test]
fn slivers_are_wound_as_well() {
    let request = RingRequest {
        cutting: Cutting { method: Method::DoubleFlush, ..Cutting::default() },
        ..copper(1.0, 5.0)
    };
    let plan = request.plan().unwrap();
    // Two coils, of as many whole turns as 60 rings take of the sprung coil.
    let expected = 60.0 * (1.0 + 0.6 / plan.relaxed_turn_length_mm) + 0.5;
    assert_eq!(plan.coils_n, 2);
    assert_eq!(f64::from(plan.turns_per_coil_n), (expected / plan.springback_ratio).ceil());
}

/// What opens a ring, by hand from the table: σ at the mean bend strain, d³/6, half the mean diameter; and what its layers
/// bear of that when it stays open by its own wire.
#[test]
fn opening_force_is_plastic_moment_over_arm() {
    let plan = copper(1.0, 5.0).plan().unwrap();
    let bend = 2.0 / (3.0 * PI) / 3.0;
    let stress = 360.0 - 290.0 * (-bend / 0.48f64).exp();
    let arm = (plan.ring_inside_diameter_mm + 1.0) / 2.0;
    // It was shut by half a kerf since it was wound.
    let formed = Formed::of(&Wire::round(Metal::Copper, 1.0, Temper::Soft), bend, Some(arm), 1.0);
    let share = formed.opening(arm, stress / 6.0).pulls_open;
    assert!(
        (plan.opening_force_n / (share * stress / 6.0 / arm) - 1.0).abs() < 1e-3,
        "{}",
        plan.opening_force_n
    );
    let strain = (1.0f64 + 1.0 / 6.0).ln() / 1.6;
    assert!((plan.strain_used - strain).abs() < 1e-12);
}

/// A rod that takes 60 mm of 1 mm wire has 60 turns; three coils for 120 rings, all wound alike, cost three ragged
/// half-turns and three pairs of tails.
#[test]
fn a_short_rod_means_more_coils_and_more_tails() {
    let mut request = copper(1.0, 5.0);
    request.mandrel.usable_mm = Some(60.0);
    let plan = request.plan().unwrap();
    assert_eq!(plan.coils_n, 3);
    assert_eq!(plan.rings_per_coil_n, 40);
    // 40 turns and a ragged half, that spring open by one in a hundred: 41 to wind.
    assert_eq!(plan.turns_per_coil_n, 41);
    // What the metre stick adds to each coil stays in its tail.
    let pulled = (41.0 * plan.turn_length_mm + 17.0) / 10.0;
    assert_eq!(plan.coil_wire_mm, pulled.ceil() * 10.0);
    assert!((plan.tails_wire_mm - 51.0 - 30.0 * (pulled.ceil() - pulled)).abs() < 1e-9);
    assert!(plan.coil_length_mm <= 60.0);
}

#[test]
fn backwards_acceptance_sterling_half_hard_for_four_millimetres() {
    let request = RingRequest {
        wire: Wire {
            metal: Metal::SterlingSilver,
            section: Section::Round,
            size_mm: 0.8118,
            temper: Temper::HalfHard,
            surface: Surface::Bare,
            lot: None,
        },
        // A snip takes nothing, so the ring is the relaxed coil.
        cutting: Cutting { method: Method::SingleSnip, ..Cutting::default() },
        ..copper(1.0, 5.0)
    };
    let choice = target(&request, 4.0).choose(&Workshop::default()).unwrap();
    assert!((choice.mandrel_diameter_mm - 3.7995).abs() < 0.002, "{}", choice.mandrel_diameter_mm);
}

#[test]
fn rods_rank_by_what_they_give_and_tape_counts_twice() {
    let request = copper(1.0237, 5.0);
    let wanted = request.plan().unwrap().ring_inside_diameter_mm;
    let rods = vec![Mandrel::round(4.48), Mandrel::round(5.0), Mandrel::round(6.0)];
    let choice = target(&request, wanted).choose(&Workshop { rods, ..Workshop::default() }).unwrap();
    let best = &choice.candidates[0];
    assert_eq!((best.mandrel.diameter_mm, best.mandrel.tape_layers), (5.0, 0));
    // 4.48 with two layers of 0.13 is 5.00 too.
    let second = &choice.candidates[1];
    assert_eq!((second.mandrel.diameter_mm, second.mandrel.tape_layers), (4.48, 2));
    assert!(second.off_mm.abs() < 1e-9);
    assert!(choice.candidates.windows(2).all(|pair| pair[0].off_mm.abs() <= pair[1].off_mm.abs() + 0.01));
}

#[test]
fn supply_of_exactly_one_plan_makes_that_plan() {
    let mut request = copper(1.0, 5.0);
    request.mandrel.usable_mm = Some(60.0);
    let plan = request.plan().unwrap();
    let enough = Supply { wire_length_mm: Some(plan.wire_length_mm + 0.01), wire_mass_g: None };
    assert_eq!(enough.makes(&request, &Workshop::default()).unwrap().rings_n, 120);
    let short = Supply { wire_length_mm: Some(plan.wire_length_mm - 0.01), wire_mass_g: None };
    assert_eq!(short.makes(&request, &Workshop::default()).unwrap().rings_n, 117);
    let weighed = Supply { wire_length_mm: None, wire_mass_g: Some(plan.wire_mass_g + 0.001) };
    assert_eq!(weighed.makes(&request, &Workshop::default()).unwrap().rings_n, 120);
    let scrap = Supply { wire_length_mm: Some(20.0), wire_mass_g: None };
    assert_eq!(scrap.makes(&request, &Workshop::default()).unwrap().rings_n, 0);
}

#[rstest]
#[case("3 m", Some(3000.0), None)]
#[case("10 ft", Some(3048.0), None)]
#[case("2 1/4 in", Some(57.15), None)]
#[case("50 g", None, Some(50.0))]
#[case("1,5 kg", None, Some(1500.0))]
fn a_supply_is_read_as_people_say_it(
    #[case] text: &str,
    #[case] mm: Option<f64>,
    #[case] grams: Option<f64>,
) {
    let supply = Supply::read(text, Habits::default()).unwrap();
    let same = |read: Option<f64>, text: Option<f64>| match (read, text) {
        (Some(read), Some(text)) => (read - text).abs() < 1e-9,
        (read, text) => read.is_none() && text.is_none(),
    };
    assert!(same(supply.wire_length_mm, mm) && same(supply.wire_mass_g, grams), "{supply:?}");
}

#[rstest]
#[case("")]
#[case("a lot")]
#[case("3 m copper")]
#[case("3 m 50 g")]
fn what_is_no_supply_gets_a_sentence(#[case] text: &str) {
    let fault = Supply::read(text, Habits::default()).unwrap_err();
    assert!(fault.field == "typed" && fault.message.contains("Try 3 m"), "{fault:?}");
}

type Change = fn(&mut RingRequest);

/// Every refusal is at its own field, with a sentence that says what would be right.
#[rstest]
#[case("wire.size_mm", "zero", |r: &mut RingRequest| r.wire.size_mm = 0.0)]
#[case("wire.size_mm", "negative", |r: &mut RingRequest| r.wire.size_mm = -1.0)]
#[case("wire.size_mm", "not a number", |r: &mut RingRequest| r.wire.size_mm = f64::NAN)]
#[case("wire.size_mm", "too large", |r: &mut RingRequest| r.wire.size_mm = 1e9)]
#[case("wire.size_mm", "thicker than the rod of 5 mm", |r: &mut RingRequest| r.wire.size_mm = 6.0)]
#[case("mandrel.diameter_mm", "zero", |r: &mut RingRequest| r.mandrel.diameter_mm = 0.0)]
#[case("mandrel.diameter_mm", "not a number", |r: &mut RingRequest| r.mandrel.diameter_mm = f64::INFINITY)]
#[case("mandrel.diameter_mm", "too large", |r: &mut RingRequest| r.mandrel.diameter_mm = 301.0)]
#[case("mandrel.usable_mm", "60 mm (2.362 in) long", |r: &mut RingRequest| { r.mandrel.length_mm = Some(60.0); r.mandrel.usable_mm = Some(80.0) })]
#[case("mandrel.usable_mm", "too short for a single ring", |r: &mut RingRequest| r.mandrel.usable_mm = Some(1.0))]
#[case("mandrel.short_mm", "no short axis", |r: &mut RingRequest| r.mandrel.short_mm = Some(3.0))]
#[case("mandrel.short_mm", "longer than the long one", |r: &mut RingRequest| { r.mandrel.shape = Shape::Oval; r.mandrel.short_mm = Some(9.0) })]
#[case("mandrel.corner_mm", "rounder than the rod", |r: &mut RingRequest| { r.mandrel.shape = Shape::Square; r.mandrel.corner_mm = Some(4.0) })]
#[case("mandrel.diameter_mm", "and the turns won't lie flat. Use a rod of at least", |r: &mut RingRequest| { r.wire.section = Section::Square; r.wire.size_mm = 3.0 })]
#[case("mandrel.diameter_mm", "springs straight", |r: &mut RingRequest| { r.wire.temper = Temper::Spring; r.wire.size_mm = 0.2; r.cutting.blade = None; r.mandrel.diameter_mm = 290.0 })]
#[case("cutting.blade", "Use a 7/0 blade", |r: &mut RingRequest| r.wire.size_mm = 0.62)]
#[case("cutting.kerf_mm", "too large", |r: &mut RingRequest| r.cutting.kerf_mm = Some(3.0))]
#[case("rings_n", "0 rings", |r: &mut RingRequest| r.rings_n = 0)]
#[case("rings_n", "at most 1000000", |r: &mut RingRequest| r.rings_n = 10_000_000)]
#[case("ends.ragged_turns", "negative", |r: &mut RingRequest| r.ends.ragged_turns = -0.5)]
fn bad_input_is_refused_at_its_field(#[case] field: &str, #[case] words: &str, #[case] change: Change) {
    let mut request = copper(1.0, 5.0);
    change(&mut request);
    let faults = request.plan().unwrap_err().0;
    assert_eq!(faults[0].field, field, "{faults:?}");
    assert!(faults[0].message.contains(words), "{}", faults[0].message);
    assert!(faults[0].message.ends_with('.'), "a full sentence");
}

#[rstest]
#[case(0.3, "no ring 0.3 mm")]
#[case(-2.0, "negative")]
#[case(f64::NAN, "not a number")]
fn impossible_rings_are_refused_backwards(#[case] inside: f64, #[case] words: &str) {
    let faults = target(&copper(1.0, 5.0), inside).choose(&Workshop::default()).unwrap_err().0;
    assert_eq!(faults[0].field, "target_inside_diameter_mm");
    assert!(faults[0].message.contains(words), "{}", faults[0].message);
}

fn any_request() -> impl Strategy<Value = RingRequest> {
    let wire = (
        proptest::sample::select(Metal::ALL),
        proptest::sample::select(Section::ALL),
        0.3..3.0f64,
        proptest::sample::select(Temper::ALL),
    );
    let rod = (proptest::sample::select(Shape::ALL), 2.1..14.0f64, proptest::option::of(30.0..300.0f64));
    let cutting = (proptest::sample::select(Method::ALL), any::<bool>());
    (wire, rod, cutting, 1u32..3000).prop_map(|(wire, rod, cutting, rings_n)| {
        let (metal, section, size_mm, temper) = wire;
        let (shape, ratio, usable_mm) = rod;
        let (method, filed) = cutting;
        RingRequest {
            wire: Wire { metal, section, size_mm, temper, surface: Surface::Bare, lot: None },
            mandrel: Mandrel { shape, usable_mm, ..Mandrel::round(size_mm * ratio) },
            rings_n,
            winding: Winding::Hand,
            cutting: Cutting { method, filed, ..Cutting::default() },
            ends: Ends::default(),
            wish: Wish::default(),
            pulls_n: 0,
            hammered_mm: None,
            route: Default::default(),
        }
    })
}

fn budget(plan: &RingPlan) -> f64 {
    plan.rings_wire_mm + plan.cutting_wire_mm + plan.ragged_wire_mm + plan.tails_wire_mm
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(400))]

    /// Wire is neither made nor lost: wound length is relaxed length, and every millimetre pulled
    /// off the spool is in a ring, a cut, a ragged end or a tail.
    #[test]
    fn wire_is_neither_made_nor_lost(request in any_request()) {
        if let Ok(plan) = request.plan() {
            let wound = plan.turns_wound * plan.turn_length_mm;
            let relaxed = plan.turns_relaxed * plan.relaxed_turn_length_mm;
            prop_assert!((wound / relaxed - 1.0).abs() < 1e-12);
            prop_assert!((budget(&plan) / plan.wire_length_mm - 1.0).abs() < 1e-9);
            prop_assert!(request.mandrel.coil_room_mm().is_none_or(|room| plan.coil_length_mm <= room + 1e-6));
        }
    }

    /// The rod found for the ring a rod gives is that rod.
    #[test]
    fn backwards_of_forwards_is_the_same_rod(request in any_request()) {
        if let Ok(plan) = request.plan() {
            let choice = target(&request, plan.ring_inside_diameter_mm).choose(&Workshop::default()).unwrap();
            let rod = request.mandrel.diameter_mm;
            prop_assert!((choice.mandrel_diameter_mm - rod).abs() < 1e-6, "{} {rod}", choice.mandrel_diameter_mm);
        }
    }

    /// No finite input panics, and no figure of a plan is infinite or not a number.
    #[test]
    fn nothing_panics(
        size in any::<f64>(), rod in any::<f64>(), n in any::<u32>(), kerf in proptest::option::of(any::<f64>()),
        usable in proptest::option::of(any::<f64>()), anchor in any::<f64>(), base in any_request(),
    ) {
        let mut request = base;
        request.wire.size_mm = size;
        request.mandrel.diameter_mm = rod;
        request.rings_n = n;
        request.cutting.kerf_mm = kerf;
        request.mandrel.usable_mm = usable;
        request.ends.anchor_mm = anchor;
        if let Ok(plan) = request.plan() {
            prop_assert!(plan.wire_length_mm.is_finite() && plan.ring_inside_diameter_mm.is_finite());
        }
        let _ = target(&request, rod).choose(&Workshop { rods: vec![Mandrel::round(size)], ..Workshop::default() });
        let _ = Supply { wire_length_mm: Some(rod), wire_mass_g: kerf }.makes(&request, &Workshop::default());
    }
}

/// Whatever holds the tail is said in the numbers and drawn.
#[test]
fn each_way_of_holding_the_tail_is_drawn_by_itself() {
    use lorimant_core::making::Operation;
    use lorimant_core::tool::method::AnchorBy;
    let shop = Workshop::default();
    let mut drawn = vec![];
    for by in AnchorBy::ALL {
        let mut request = copper(1.02, 5.0);
        request.route.methods.anchor = Some(*by);
        let worked = request.sheet(&shop).result.unwrap();
        let at = worked.steps.iter().position(|step| step.operation == Operation::Anchor).unwrap();
        assert_eq!(worked.steps[at].numbers.held_by, Some(*by));
        let shapes = worked.stages[at].shapes.clone();
        assert!(!drawn.contains(&shapes), "{by}");
        drawn.push(shapes);
    }
}

/// What each way of cutting takes of a ring of 1.2 mm wire, mm, as the trade reckons it: a 3/0 blade's 0.24 out of the ring; two
/// flush cuts 0.6 thicknesses between rings; a burr or two filed ends of a tenth each; and the plan books just that.
#[rstest]
#[case(Method::Saw, false, 0.24, 0.0)]
#[case(Method::DoubleFlush, false, 0.0, 0.72)]
#[case(Method::SingleSnip, false, 0.0, 0.0)]
#[case(Method::SingleSnip, true, 0.24, 0.0)]
fn cutting_takes_what_the_trade_reckons(
    #[case] method: Method,
    #[case] filed: bool,
    #[case] from_ring: f64,
    #[case] between: f64,
) {
    let blade = (method == Method::Saw).then_some(lorimant_core::tool::cutting::Blade::B3o);
    let cutting = Cutting { method, filed, blade, ..Cutting::default() };
    let taken = cutting.taken(1.2);
    assert!(
        (taken.from_ring_mm - from_ring).abs() < 1e-12 && (taken.between_mm - between).abs() < 1e-12,
        "{taken:?}"
    );
    let wire = Wire::round(Metal::Copper, 1.2, Temper::Soft);
    let request = RingRequest { cutting, ..RingRequest::new(wire, Mandrel::round(6.0), 50) };
    let plan = request.plan().unwrap();
    assert!((plan.cutting_wire_mm - 50.0 * (from_ring + between)).abs() < 1e-9, "{}", plan.cutting_wire_mm);
}
