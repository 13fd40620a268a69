//! Changing one word of a sentence: by typing, by a nudge, by choosing, by pulling on the drawing; and what a
//! change makes different from what was there.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{bench, kinds, ring_of, usual, with};
use lorimant_core::pattern::{PatternRequest, Unit};
use lorimant_core::ring::RingRequest;
use lorimant_core::ring::sentence::Slot;
use lorimant_core::tool::cutting::Blade;
use lorimant_core::tool::mandrel::{Mandrel, Shape};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::words::length::{Habits, LengthUnit, caliper};
use lorimant_core::words::sentence::{Change, Choice};
use proptest::prelude::*;
use rstest::rstest;

/// A drawer with a few rods, one of them named in inches.
fn drawer() -> Workshop {
    let named = |name: &str, d: f64| Mandrel { name: Some(name.into()), ..Mandrel::round(d) };
    let rods = vec![
        named("drill shank", 4.5),
        named("drill shank", 5.0),
        named("needle US 8 UK 6", 5.0),
        named("dowel", 4.7625),
    ];
    Workshop { rods, ..Workshop::default() }
}

fn rings() -> RingRequest {
    RingRequest { mandrel: drawer().rods[1].clone(), rings_n: 120, ..ring_of(1.0237, 5.0) }
}

fn inches_first() -> Workshop {
    Workshop { habits: Habits { unit: LengthUnit::Inch, ..Habits::default() }, ..bench() }
}

#[rstest]
#[case(Slot::Size, "18 swg", |r: &RingRequest| (r.wire.size_mm - 1.2192).abs() < 1e-9)]
#[case(Slot::Size, "18", |r: &RingRequest| (r.wire.size_mm - 0.127 * 92f64.powf(18.0 / 39.0)).abs() < 1e-9)]
#[case(Slot::Size, "2", |r: &RingRequest| r.wire.size_mm == 2.0)]
#[case(Slot::Rings, "24 rings", |r: &RingRequest| r.rings_n == 24)]
#[case(Slot::Temper, "hard", |r: &RingRequest| r.wire.temper == Temper::Hard)]
#[case(Slot::Metal, "sterling", |r: &RingRequest| r.wire.metal == Metal::SterlingSilver)]
#[case(Slot::Mandrel, "6 mm hexagonal rod", |r: &RingRequest| r.mandrel.shape == Shape::Hexagon)]
#[case(Slot::Mandrel, "8 × 5 mm oval rod", |r: &RingRequest| r.mandrel.short_mm == Some(5.0))]
#[case(Slot::Mandrel, "5", |r: &RingRequest| r.mandrel.name.as_deref() == Some("drill shank"))]
#[case(Slot::Mandrel, "3/16 in", |r: &RingRequest| r.mandrel.name.as_deref() == Some("dowel"))]
#[case(Slot::Blade, "2/0", |r: &RingRequest| r.cutting.blade == Some(Blade::B2o))]
#[case(Slot::Inside, "4.5 mm", |r: &RingRequest| r.mandrel.diameter_mm == 4.5)]
fn a_word_is_changed_by_typing(
    #[case] slot: Slot,
    #[case] text: &str,
    #[case] holds: fn(&RingRequest) -> bool,
) {
    let changed = rings().changed(slot, &Change::Typed(text.into()), &drawer()).unwrap();
    assert!(holds(&changed), "{changed:?}");
}

#[rstest]
#[case(Slot::Size, "thick", "wire.size_mm")]
#[case(Slot::Rings, "-4", "rings_n")]
#[case(Slot::Metal, "unobtainium", "wire.metal")]
#[case(Slot::Temper, "copper", "wire.temper")]
#[case(Slot::Mandrel, "that one", "mandrel.diameter_mm")]
#[case(Slot::Blade, "9/0", "cutting.blade")]
#[case(Slot::Inside, "0.1", "target_inside_diameter_mm")]
fn what_cannot_be_read_faults_at_its_word(#[case] slot: Slot, #[case] text: &str, #[case] field: &str) {
    let faults = rings().changed(slot, &Change::Typed(text.into()), &drawer()).unwrap_err();
    assert_eq!(faults.0[0].field, field);
}

#[test]
fn arrows_nudge_by_a_tenth_and_walk_the_rods() {
    let shop = drawer();
    let up = |slot| rings().changed(slot, &Change::Nudge(1), &shop).unwrap();
    let down = |slot| rings().changed(slot, &Change::Nudge(-1), &shop).unwrap();
    // 18 AWG is a gauge: the next thicker one, and back to it.
    assert!((up(Slot::Size).wire.size_mm - 0.127 * 92f64.powf(19.0 / 39.0)).abs() < 1e-9);
    let back = up(Slot::Size).changed(Slot::Size, &Change::Nudge(-1), &shop).unwrap();
    assert!((back.wire.size_mm - 0.127 * 92f64.powf(18.0 / 39.0)).abs() < 1e-9);
    assert_eq!(down(Slot::Mandrel).mandrel.diameter_mm, 4.7625);
    assert_eq!(up(Slot::Mandrel).mandrel.diameter_mm, 5.0, "no larger rod is owned");
    assert_eq!(up(Slot::Temper).wire.temper, Temper::QuarterHard);
    assert_eq!(down(Slot::Temper).wire.temper, Temper::Soft, "the list ends");
    assert_eq!(up(Slot::Rings).rings_n, 121);
}

#[test]
fn choices_show_what_each_would_give() {
    let choices = rings().choices(Slot::Temper, &drawer());
    assert_eq!(choices.len(), Temper::ALL.len());
    assert_eq!(choices.iter().filter(|c| c.chosen).count(), 1);
    let ring = |r: &RingRequest| r.plan().unwrap().ring_inside_diameter_mm;
    for choice in choices.iter().filter(|c| c.possible) {
        assert!(choice.effect.contains(&caliper(ring(&choice.request), LengthUnit::Mm)), "{}", choice.effect);
    }
}

#[rstest]
#[case("loop_mm", "3/32 in", 2.381_25)]
#[case("loop_mm", "2.5", 2.5)]
#[case("tip_deg", "25 degrees", 25.0)]
#[case("hammered_mm", "crown not hammered", 0.0)]
#[case("loop_side", "loop to the back", 1.0)]
fn words_take_what_people_type(#[case] slot: &str, #[case] text: &str, #[case] value: f64) {
    let changed = usual("open-ear-wire").changed(slot, &Change::Typed(text.to_owned()), &bench()).unwrap();
    assert!((changed.value(slot) - value).abs() < 1e-9, "{}", changed.value(slot));
}

#[test]
fn words_are_nudged_by_what_a_ruler_reads() {
    let request = usual("open-ear-wire");
    let nudged = |slot: &str, steps| request.changed(slot, &Change::Nudge(steps), &bench()).unwrap();
    assert!((nudged("front_mm", 3).value("front_mm") - 9.3).abs() < 1e-9);
    assert!((nudged("front_mm", -100_000).value("front_mm") - 1.0).abs() < 1e-9, "no further than its limit");
    assert!((nudged("tip_deg", -2).value("tip_deg") - 16.0).abs() < 1e-9);
    assert_eq!(nudged("pieces", 4).pieces_n, 5);
    assert_eq!(nudged("temper", 1).wire.temper, Temper::ThreeQuarterHard);
    assert!(nudged("hand", 1).mirrored);
    let other = request.changed("kind", &Change::Typed("wrapped ear wire".to_owned()), &bench()).unwrap();
    assert!((other.value("back_mm") - 15.0).abs() < 1e-9);
    for (slot, text) in
        [("loop_mm", "wide"), ("kind", "hat"), ("metal", "wood"), ("pieces", "some"), ("nose", "2")]
    {
        let refused = request.changed(slot, &Change::Typed(text.to_owned()), &bench()).unwrap_err();
        assert!(refused.0[0].message.contains(if slot == "nose" { "nose" } else { text }), "{refused:?}");
    }
    for slot in ["kind", "metal", "temper", "section", "plier", "hand", "loop_side"] {
        let choices = request.choices(slot, &bench());
        assert_eq!(choices.iter().filter(|choice| choice.chosen).count(), 1, "{slot}");
        assert!(choices.iter().all(|choice| !choice.effect.is_empty()), "{slot}");
    }
}

/// Dimensions follow the hand: a millimetre on the drawing is a millimetre, four degrees, a quarter turn, on
/// whole steps of what is typed.
#[rstest]
#[case("open-ear-wire", "front_mm", 2.04, 11.0)]
#[case("open-ear-wire", "front_mm", -2.04, 7.0)]
#[case("open-ear-wire", "tip_deg", 1.1, 22.0)]
#[case("wrapped-ear-wire", "wraps_n", 4.0, 4.0)]
fn a_dimension_is_pulled_on_whole_steps(
    #[case] kind: &str,
    #[case] slot: &str,
    #[case] mm: f64,
    #[case] value: f64,
) {
    let pulled = usual(kind).changed(slot, &Change::Pulled(mm), &bench()).unwrap();
    assert!((pulled.value(slot) - value).abs() < 1e-9, "{}", pulled.value(slot));
}

#[test]
fn a_pull_keeps_to_the_rulers_unit_and_the_limits() {
    let request = usual("open-ear-wire");
    let pulled = |mm, shop: &Workshop| request.changed("front_mm", &Change::Pulled(mm), shop).unwrap();
    let in_64ths = pulled(0.3, &inches_first()).value("front_mm") / 25.4 * 64.0;
    assert!((in_64ths - in_64ths.round()).abs() < 1e-4, "{in_64ths}");
    let parameter = request.kind.0.parameter("front_mm").unwrap();
    assert!((pulled(1e9, &bench()).value("front_mm") - parameter.max).abs() < 1e-9);
    assert!((pulled(-1e9, &bench()).value("front_mm") - parameter.min).abs() < 1e-9);
}

#[rstest]
#[case("loop_side", 1.0)]
#[case("metal", 1.0)]
#[case("nose", 1.0)]
#[case("front_mm", f64::NAN)]
fn what_is_no_dimension_cannot_be_pulled(#[case] slot: &str, #[case] mm: f64) {
    let faults = usual("open-ear-wire").changed(slot, &Change::Pulled(mm), &bench()).unwrap_err();
    assert!(faults.0[0].message.contains("Type it."), "{faults:?}");
    assert!(rings().changed(Slot::Size, &Change::Pulled(1.0), &drawer()).is_err());
}

#[test]
fn what_differs_is_said_as_here_and_there() {
    let here = with("hook-clasp", &[("eye_mm", 3.0)]);
    let there = with("hook-clasp", &[("eye_mm", 3.5), ("tip_deg", 25.0)]);
    let text = here.compared(&there, &bench()).unwrap().differences;
    let eye = here.kind.0.parameter("eye_mm").unwrap().label;
    assert_eq!(text[0], format!("{eye} 3 mm here, 3.5 mm there"));
    assert!(text.iter().any(|line| line.contains("25° there")), "{text:?}");
    assert!(text.iter().any(|line| line.starts_with("cut length ")), "the cut length follows: {text:?}");
    let in_inches = here.compared(&there, &inches_first()).unwrap().differences;
    assert!(in_inches[0].contains("0.118 in here"), "{in_inches:?}");
}

#[test]
fn another_wire_is_named_and_a_broken_piece_says_which() {
    let here = usual("hook-clasp");
    let mut there = here.clone();
    there.wire.temper = Temper::Hard;
    let text = here.compared(&there, &bench()).unwrap().differences;
    assert!(text.iter().any(|line| line.starts_with("wire ") && line.contains(" hard ")), "{text:?}");
    let broken = with("hook-clasp", &[("bend_mm", -3.0)]);
    assert_eq!(here.compared(&broken, &bench()).unwrap_err().0[0].field, "there.parameters.bend_mm");
    assert_eq!(broken.compared(&here, &bench()).unwrap_err().0[0].field, "here.parameters.bend_mm");
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(48))]

    /// Nothing differs from itself; of two pieces each differs from the other as often; what is laid over another
    /// kind lies on its middle and at its top.
    #[test]
    fn comparing_goes_both_ways(a in kinds(), b in kinds()) {
        let (a, b) = (PatternRequest::usual(a), PatternRequest::usual(b));
        prop_assert!(a.compared(&a, &bench()).unwrap().differences.is_empty());
        let (there, back) = (a.compared(&b, &bench()).unwrap(), b.compared(&a, &bench()).unwrap());
        prop_assert_eq!(there.differences.len(), back.differences.len());
        prop_assert!((there.shift_x_mm + back.shift_x_mm).abs() < 1e-9);
        prop_assert!((there.shift_y_mm + back.shift_y_mm).abs() < 1e-9);
        if a.kind != b.kind {
            let frame = |request: &PatternRequest| {
                let worked = request.sheet(&bench()).result.unwrap();
                worked.stages.last().unwrap().drawing.frame
            };
            let (here, over) = (frame(&a), frame(&b));
            // The drawing's frame keeps the same margin round every piece.
            prop_assert!((over.top_mm + there.shift_y_mm - here.top_mm).abs() < 0.6, "{} {}", over.top_mm, here.top_mm);
            let middle = over.left_mm + over.width_mm / 2.0 + there.shift_x_mm;
            prop_assert!((middle - here.left_mm - here.width_mm / 2.0).abs() < 0.6);
        }
    }

    /// A nudge there and back is no change, as long as no limit is met and the value stood on a step.
    #[test]
    fn a_nudge_back_undoes_a_nudge(kind in kinds(), which in 0..12_usize, steps in 1..4_i32) {
        let request = PatternRequest::usual(kind);
        let parameters = kind.0.parameters;
        let parameter = &parameters[which % parameters.len()];
        prop_assume!(parameter.unit != Unit::Choice && parameter.none.is_none());
        let nudge = |request: &PatternRequest, n| request.changed(parameter.name, &Change::Nudge(n), &bench()).unwrap();
        let on_a_step = nudge(&nudge(&request, 1), -1);
        let there = nudge(&on_a_step, steps);
        prop_assume!(there.value(parameter.name) < parameter.max);
        let back = nudge(&there, -steps);
        prop_assert!((back.value(parameter.name) - on_a_step.value(parameter.name)).abs() < 1e-6);
    }
}

/// What was wished for stays beside what is given, whatever else is changed, until another rod is taken by hand.
#[test]
fn the_ring_wanted_stays_the_wish() {
    let shop = drawer();
    let typed = |request: &RingRequest, slot, text: &str| {
        request.changed(slot, &Change::Typed(text.into()), &shop).unwrap()
    };
    let given = typed(&rings(), Slot::Inside, "4.4 mm");
    assert_eq!(given.wish.inside_mm, Some(4.4));
    let worked = given.sheet(&shop).result.unwrap();
    let text = worked.wanted.unwrap();
    assert!(text.starts_with("4.4 mm inside is wanted, 4.5 mm given"), "{text}");
    let harder = typed(&given, Slot::Temper, "half-hard");
    assert_eq!(harder.wish.inside_mm, Some(4.4));
    // A nudge goes on from what is wanted.
    let nudged = given.changed(Slot::Inside, &Change::Nudge(1), &shop).unwrap();
    assert_eq!(nudged.wish.inside_mm, Some(4.5));
    let own = typed(&given, Slot::Mandrel, "5 mm drill shank");
    assert_eq!(own.wish.inside_mm, None);
    // Every rod placed along the line is taken by its name.
    for rod in given.sheet(&shop).result.unwrap().rods {
        assert_eq!(typed(&given, Slot::Mandrel, &rod.label).mandrel, rod.mandrel);
    }
}

/// A wish that comes from a file is checked as everything else is.
#[rstest]
#[case(r#"{"inside_mm": -4}"#, "wish.inside_mm")]
#[case(r#"{"inside_mm": 0}"#, "wish.inside_mm")]
#[case(r#"{"supply": {}}"#, "wish.supply.wire_length_mm")]
#[case(r#"{"supply": {"wire_length_mm": 1000, "wire_mass_g": 5}}"#, "wish.supply.wire_mass_g")]
#[case(r#"{"supply": {"wire_mass_g": -5}}"#, "wish.supply.wire_mass_g")]
fn what_cannot_be_wished_for_is_refused_at_its_field(#[case] wish: &str, #[case] field: &str) {
    let wished = RingRequest { wish: serde_json::from_str(wish).unwrap(), ..rings() };
    let faults = wished.plan().unwrap_err();
    assert_eq!(faults.0.iter().map(|fault| fault.field.as_str()).collect::<Vec<_>>(), [field]);
}

#[test]
fn wire_typed_as_the_count_stays_the_wish_and_the_count_follows() {
    let shop = drawer();
    let typed = |request: &RingRequest, slot, text: &str| {
        request.changed(slot, &Change::Typed(text.into()), &shop).unwrap()
    };
    let metre = typed(&rings(), Slot::Rings, "1 m");
    assert!(metre.plan().unwrap().wire_length_mm <= 1000.0 && metre.rings_n > 1);
    let larger = typed(&metre, Slot::Size, "1.6 mm");
    // Longer turns: fewer rings of the same metre, and one more would not come out of it.
    assert!(larger.rings_n < metre.rings_n);
    let more = RingRequest { rings_n: larger.rings_n + 1, ..larger.clone() };
    assert!(larger.plan().unwrap().wire_length_mm <= 1000.0 && more.plan().unwrap().wire_length_mm > 1000.0);
    let text = larger.sheet(&shop).result.unwrap().wanted.unwrap();
    assert_eq!(text, "As many as 1 m of wire gives.");
    assert_eq!(typed(&larger, Slot::Rings, "40").wish.supply, None);
    let faults = rings().changed(Slot::Rings, &Change::Typed("some".into()), &shop).unwrap_err();
    assert!(faults.0[0].message.contains("whole number of rings"));
}

/// A step that is put in or left out is offered to be taken back, and the piece is then made as before.
#[rstest]
fn what_is_put_in_or_left_out_is_taken_back(
    #[values("open-ear-wire", "hook-clasp", "shaped-ring")] kind: &str,
) {
    let (before, shop) = (usual(kind), bench());
    let offers = |request: &PatternRequest| request.choices("making", &shop);
    let mut taken_back = vec![];
    for offer in offers(&before).into_iter().filter(|offer| offer.possible && !offer.chosen) {
        let now = offers(&offer.request);
        let stands =
            |one: &&Choice<PatternRequest>| one.chosen && one.group == offer.group && one.take_back.is_some();
        let Some(stands) = now.iter().find(stands) else { continue };
        assert_ne!(
            stands.take_back.as_ref(),
            Some(&stands.label),
            "it says what stands, not what a press does"
        );
        assert_eq!(stands.request, before, "{:?}", stands.take_back);
        taken_back.push(offer.group.clone());
    }
    for way in [None, Some("Anneal along the way"), Some("Leave out")] {
        assert!(taken_back.iter().any(|group| group.as_deref() == way), "{way:?} of {taken_back:?}");
    }
}
