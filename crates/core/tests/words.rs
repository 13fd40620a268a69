//! The sentence and the ask line: what one writes the other reads; what is unclear is pointed at.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::ask::{Answer, answer};
use lorimant_core::making::Changes;
use lorimant_core::ring::sentence::write;
use lorimant_core::ring::{Ends, RingRequest, Winding, Wish};
use lorimant_core::tool::cutting::{Blade, Cutting, Method};
use lorimant_core::tool::mandrel::{Mandrel, Shape};
use lorimant_core::tool::workshop::{StartSet, Workshop};
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::Section;
use lorimant_core::wire::surface::Surface;
use lorimant_core::words::length::{Habits, LengthUnit, inch_fraction, rod_size};
use lorimant_core::words::sentence::{self};
use proptest::prelude::*;
use rstest::rstest;

fn workshop() -> Workshop {
    let named = |name: &str, d: f64| Mandrel { name: Some(name.into()), ..Mandrel::round(d) };
    Workshop {
        rods: vec![
            named("drill shank", 4.5),
            named("drill shank", 5.0),
            named("needle US 8 UK 6", 5.0),
            named("dowel", 4.7625),
        ],
        ..Workshop::default()
    }
}

fn request() -> RingRequest {
    RingRequest {
        wire: Wire {
            metal: Metal::Copper,
            section: Section::Round,
            size_mm: 1.0237,
            temper: Temper::Soft,
            surface: Surface::Bare,
            lot: None,
        },
        mandrel: workshop().rods[1].clone(),
        rings_n: 120,
        winding: Winding::Hand,
        cutting: Cutting::default(),
        ends: Ends::default(),
        wish: Wish::default(),
        pulls_n: 0,
        hammered_mm: None,
        route: Changes::default(),
    }
}

fn ask(line: &str) -> Answer {
    answer(line, &workshop(), &Vec::new)
}

#[test]
fn the_sentence_reads_as_a_person_would_say_it() {
    let request = request();
    let plan = request.plan().unwrap();
    assert_eq!(
        sentence::text(&write(&request, Some(&plan), LengthUnit::Mm)),
        "120 rings of soft copper, round 1.02 mm (18 AWG), wound by hand on the 5 mm drill shank and sawn with a 4/0 \
         blade: 5 mm inside."
    );
}

#[test]
fn inches_first_are_written_with_their_millimetres() {
    let request = request();
    let plan = request.plan().unwrap();
    let text = sentence::text(&write(&request, Some(&plan), LengthUnit::Inch));
    assert!(
        text.contains("round 18 AWG (1.02 mm), wound by hand on the 0.197 in (5 mm) drill shank"),
        "{text}"
    );
    assert!(text.ends_with(": 0.20 in inside."), "{text}");
}

#[test]
fn a_short_line_is_answered_with_a_plan() {
    let answer = ask("120 rings 5 mm inside copper 18 soft");
    let request = answer.request.unwrap();
    assert!(answer.unclear.is_empty() && answer.missing.is_empty() && answer.faults.is_empty());
    assert_eq!((request.rings_n, request.mandrel.diameter_mm), (120, 5.0));
    assert!((request.wire.size_mm - 1.02369).abs() < 1e-5);
    assert!(answer.assumed.iter().any(|text| text.contains("AWG")), "{:?}", answer.assumed);
    assert!(answer.headline.contains("5 mm inside"), "{}", answer.headline);
}

#[rstest]
#[case("how much 16 ga brass for 300 rings 6mm", 300, Metal::Brass, Temper::Soft)]
#[case("300 sterling rings, half hard, 20 awg, 4 mm id", 300, Metal::SterlingSilver, Temper::HalfHard)]
#[case("50 rings niobium 1.2 mm wire on a 6 mm rod", 50, Metal::Niobium, Temper::Soft)]
#[case(
    "1 ring of spring-hard phosphor bronze round 0.8 mm on the 5 mm drill",
    1,
    Metal::PhosphorBronze,
    Temper::Spring
)]
#[case("40 rings 7 mm od fine silver 18swg annealed", 40, Metal::FineSilver, Temper::Soft)]
fn lines_in_any_order_are_understood(
    #[case] line: &str,
    #[case] rings_n: u32,
    #[case] metal: Metal,
    #[case] temper: Temper,
) {
    let answer = ask(line);
    assert!(answer.unclear.is_empty() && answer.missing.is_empty(), "{answer:?}");
    let request = answer.request.unwrap();
    assert_eq!((request.rings_n, request.wire.metal, request.wire.temper), (rings_n, metal, temper));
}

#[test]
fn outside_diameter_is_inside_and_two_wires() {
    let outside = ask("40 rings 7 mm od copper 1 mm wire").candidates[0].clone();
    let inside = ask("40 rings 5 mm id copper 1 mm wire").candidates[0].clone();
    assert_eq!(outside, inside);
}

#[rstest]
#[case("18 swg", "1.219 mm = 0.048 in")]
#[case("2 1/4 in", "57.15 mm = 2.25 in")]
#[case("18", "18 mm")]
#[case(".040\"", "1.016 mm")]
#[case("1 m of soft copper 1 mm wire", "weighs 7.0 g")]
#[case("100 g copper 1 mm wire", "is 14.24 m long")]
fn conversions_and_lengths_are_answered(#[case] line: &str, #[case] says: &str) {
    let answer = ask(line);
    assert!(answer.headline.contains(says), "{answer:?}");
}

#[test]
fn how_many_rings_a_length_makes() {
    let answer = ask("how many rings 5 mm inside copper 1 mm wire from 2 m");
    let request = answer.request.unwrap();
    let used = request.plan().unwrap().wire_length_mm;
    let more = RingRequest { rings_n: request.rings_n + 1, ..request }.plan().unwrap().wire_length_mm;
    assert!(used <= 2000.0 && more > 2000.0, "{used} {more}");
    assert!(answer.headline.starts_with("2 m makes"), "{}", answer.headline);
}

#[test]
fn unclear_words_are_pointed_at_by_place() {
    let answer = ask("120 rings 5 mm inside coper 18 soft frobnicated");
    let words: Vec<&str> = answer.unclear.iter().map(|u| u.text.as_str()).collect();
    assert_eq!(words, ["frobnicated"]);
    assert_eq!((answer.unclear[0].from, answer.unclear[0].to), (36, 47));
    assert!(answer.assumed.iter().any(|text| text == "“coper” is read as copper."), "{:?}", answer.assumed);
    // What is not understood may be what matters.
    assert!(answer.headline.is_empty() && answer.request.is_none(), "{answer:?}");
}

#[test]
fn a_quantity_that_is_not_used_holds_the_answer_back() {
    let answer = ask("120 rings 5 mm inside copper 18 soft 7 mm");
    assert!(answer.headline.is_empty() && answer.request.is_none(), "{answer:?}");
    let words: Vec<&str> = answer.unclear.iter().map(|u| u.text.trim()).collect();
    assert_eq!(words, ["7 mm"]);
}

#[test]
fn of_two_lengths_the_wire_is_the_one_that_can_be() {
    let answer = ask("20 rings copper 1 mm 5 mm");
    assert!(answer.assumed.iter().any(|text| text.contains("5 mm is read as the inside")), "{answer:?}");
    assert_eq!(answer.request.unwrap().wire.size_mm, 1.0);
}

#[rstest]
#[case("120 rings 5 mm inside copper", "size of the wire")]
#[case("120 rings copper 18 awg", "inside of the ring")]
#[case("", "what you need")]
fn what_is_missing_is_asked_for(#[case] line: &str, #[case] missing: &str) {
    let answer = ask(line);
    assert!(answer.missing.iter().any(|m| m.contains(missing)), "{answer:?}");
}

#[test]
fn a_plan_that_cannot_be_made_says_why() {
    let answer = ask("999999999999 rings 5 mm inside copper 18 awg");
    assert_eq!(answer.faults[0].field, "rings_n");
    assert!(answer.faults[0].message.starts_with("999999999999 rings"), "the value as it was typed");
}

#[rstest]
#[case(StartSet::MetricHalves, 25, 1.0, 13.0)]
#[case(StartSet::MetricTenths, 121, 1.0, 13.0)]
#[case(StartSet::FractionalDrills, 29, 1.5875, 12.7)]
#[case(StartSet::NumberedDrills, 60, 1.016, 5.7912)]
#[case(StartSet::KnittingNeedles, 20, 2.0, 15.0)]
#[case(StartSet::Dowels, 19, 3.0, 25.4)]
fn start_sets_run_from_and_to(
    #[case] set: StartSet,
    #[case] n: usize,
    #[case] least: f64,
    #[case] most: f64,
) {
    let rods = set.rods();
    assert_eq!(rods.len(), n);
    assert!((rods[0].diameter_mm - least).abs() < 1e-9 && (rods[n - 1].diameter_mm - most).abs() < 1e-9);
    assert!(rods.windows(2).all(|pair| pair[0].diameter_mm < pair[1].diameter_mm));
    assert!(rods.iter().all(|rod| rod.check().is_ok()));
}

#[rstest]
#[case(4.7625, Some("3/16"), "4.763 mm (3/16 in)")]
#[case(31.75, Some("1 1/4"), "31.75 mm")]
#[case(5.0, None, "5 mm")]
fn odd_sizes_are_named_in_inches_too(#[case] mm: f64, #[case] inch: Option<&str>, #[case] size: &str) {
    assert_eq!(inch_fraction(mm).as_deref(), inch);
    assert_eq!(rod_size(mm, LengthUnit::Mm), size);
}

fn any_request() -> impl Strategy<Value = RingRequest> {
    let wire = (
        proptest::sample::select(Metal::ALL),
        proptest::sample::select(Section::ALL),
        prop_oneof![(300..3000u32).prop_map(|n| f64::from(n) / 1000.0), Just(1.2192), Just(1.02369)],
        proptest::sample::select(Temper::ALL),
    );
    let rod = (proptest::sample::select(Shape::ALL), 6000..14_000u32, 0..3u32, any::<bool>());
    let cutting =
        (proptest::sample::select(Method::ALL), proptest::sample::select(Blade::ALL), any::<bool>());
    let worked = (0..20u32, proptest::option::of(0.3..0.45_f64));
    (wire, rod, cutting, proptest::sample::select(Winding::ALL), (1..5000u32, worked)).prop_map(
        |(
            (metal, section, size_mm, temper),
            (shape, d, tape_layers, named),
            (method, blade, filed),
            winding,
            (n, pulls),
        )| {
            let saw = method == Method::Saw;
            let snip = method == Method::SingleSnip;
            let oval = shape == Shape::Oval;
            RingRequest {
                wire: Wire { metal, section, size_mm, temper, surface: Surface::Bare, lot: None },
                mandrel: Mandrel {
                    name: named.then(|| "knitting needle".to_owned()),
                    shape,
                    short_mm: oval.then(|| (f64::from(d) * 0.7).round() / 1000.0),
                    tape_layers,
                    ..Mandrel::round(f64::from(d) / 1000.0)
                },
                rings_n: n,
                winding,
                cutting: Cutting {
                    method,
                    blade: saw.then_some(blade),
                    filed: filed && snip,
                    ..Cutting::default()
                },
                ends: Ends::default(),
                wish: Wish::default(),
                pulls_n: pulls.0,
                hammered_mm: pulls.1.map(|share| (share * size_mm * 100.0).round() / 100.0),
                route: Changes::default(),
            }
        },
    )
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(600))]

    /// One grammar writes and reads: the written sentence means the same request, to what it shows.
    #[test]
    fn what_the_sentence_writes_the_ask_line_reads(
        request in any_request(), unit in proptest::sample::select(LengthUnit::ALL),
    ) {
        let plan = request.plan().ok();
        let line = sentence::text(&write(&request, plan.as_ref(), unit));
        let reader = Workshop { habits: Habits { unit, ..Habits::default() }, ..Workshop::default() };
        let answer = answer(&line, &reader, &Vec::new);
        prop_assert!(answer.unclear.is_empty(), "{line}: {:?}", answer.unclear);
        let mut read = answer.request.unwrap();
        prop_assert!((read.wire.size_mm - request.wire.size_mm).abs() < 0.0005, "{line}");
        read.wire.size_mm = request.wire.size_mm;
        if read.mandrel.name.as_deref() == Some("rod") {
            read.mandrel.name = None;
        }
        prop_assert!((read.mandrel.diameter_mm - request.mandrel.diameter_mm).abs() < 0.0006, "{line}");
        read.mandrel.diameter_mm = request.mandrel.diameter_mm;
        read.mandrel.short_mm = request.mandrel.short_mm;
        read.cutting.blade = read.cutting.blade.filter(|_| request.cutting.blade.is_some());
        prop_assert_eq!(read, request, "{}", line);
    }

    #[test]
    fn no_line_panics(line in "\\PC{0,80}") {
        let _ = answer(&line, &workshop(), &Vec::new);
    }

    #[test]
    fn no_line_of_known_words_panics(words in proptest::collection::vec(
        proptest::sample::select(vec!["120", "rings", "5", "mm", "inside", "copper", "18", "awg", "soft", "on", "the",
            "x", "(", ")", "4/0", "blade", "with", "layers", "of", "tape", "3/16", "in", "\"", "how", "many", "m", "g",
            "Ø", "½", "hexagonal", "from", "-", ".", "0"]), 0..12)) {
        let _ = answer(&words.join(" "), &workshop(), &Vec::new);
    }
}

/// The one number of an answer is what the tool in the hand reads, and what the question asked for.
#[rstest]
#[case("24 pairs of ear wires, 20 ga sterling", "44.5 mm", "cut 48, each")]
#[case("hook clasp 18 ga brass", "40 mm", "cut it")]
#[case("how much wire for 30 ear wires 20 ga sterling", "1.35 m", "off the spool")]
#[case("how many turns for 20 rings 5 mm inside 18 ga copper", "turns", "one coil, on the")]
#[case("aspect ratio of 6 mm rings 1.2 mm copper", "5", "aspect ratio")]
#[case("how many ear wires from 1 m of 20 ga sterling", "22", "from your wire")]
#[case("42 cm byzantine 1.2 mm red brass 5 mm rod", "rings", "to make")]
fn an_answer_has_one_number(#[case] line: &str, #[case] value: &str, #[case] label: &str) {
    let reply = lorimant_core::ask::answer(line, &Workshop::default(), &Vec::new);
    let number = reply.number.unwrap_or_else(|| panic!("no number: {}", reply.headline));
    assert!(number.value.contains(value), "{number:?} {}", reply.headline);
    assert!(number.label.contains(label), "{number:?}");
    assert!(!reply.name.is_empty() && reply.name.chars().count() <= 80, "{}", reply.name);
}
