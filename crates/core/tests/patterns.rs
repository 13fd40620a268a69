//! Every finding: laws over random dimensions, closed forms, fits, faults, words.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{bench, kinds, usual, with};
use lorimant_core::ask::answer;
use lorimant_core::fault::Faults;
use lorimant_core::making::{Changes, Operation};
use lorimant_core::pattern::backwards::{Measure, Target};
use lorimant_core::pattern::check::About;
use lorimant_core::pattern::sentence;
use lorimant_core::pattern::{Kind, PatternRequest, Unit};
use lorimant_core::piece::Piece;
use lorimant_core::piece::mate::mate;
use lorimant_core::shape::path::Placed;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::plier::{Jaws, Plier};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::Section;
use lorimant_core::wire::surface::Surface;
use lorimant_core::words::length::LengthUnit;
use lorimant_core::words::sentence::text;
use proptest::prelude::*;
use rstest::rstest;

/// A pattern with every dimension somewhere round its usual one, in usual wire.
fn near_usual() -> impl Strategy<Value = PatternRequest> {
    (kinds(), prop::collection::vec(0.6..1.6_f64, 12), 0.7..1.3_f64, any::<bool>()).prop_map(
        |(kind, factors, size, mirrored)| {
            let mut request = PatternRequest { mirrored, ..PatternRequest::usual(kind) };
            request.wire.size_mm *= size;
            for (parameter, factor) in kind.0.parameters.iter().zip(factors) {
                let usual = parameter.default;
                let value = match parameter.unit {
                    Unit::Choice => f64::from(u8::from(factor > 1.1)),
                    _ if usual == 0.0 => continue,
                    _ => (usual * factor).clamp(parameter.min, parameter.max),
                };
                request.parameters.insert(parameter.name.to_owned(), value);
            }
            request
        },
    )
}

/// Length of a segment's drawn line by its chords alone, to fourth order (Richardson).
fn by_chords(placed: &Placed) -> f64 {
    let chords = |n: u32| -> f64 {
        (0..n)
            .map(|i| {
                let at = |k: u32| placed.at(f64::from(k) / f64::from(n)).0;
                at(i).distance(at(i + 1))
            })
            .sum()
    };
    (4.0 * chords(2400) - chords(1200)) / 3.0
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(1500))]

    /// What is drawn is as long as what is cut; segments sum to it; marks lie on the blank in order.
    #[test]
    fn the_drawing_the_blank_and_the_marks_agree(request in near_usual()) {
        let (bench, Ok(_)) = (bench(), request.form()) else { return Ok(()) };
        let finished = request.finished(&bench).unwrap();
        let formed = &finished.formed;
        let integrated: f64 = formed.path.placed.iter().map(by_chords).sum();
        prop_assert!((integrated - formed.path.length_mm).abs() < 1e-6 * integrated);
        let numbers = finished.in_numbers(&bench);
        let plain = formed.design.segments.iter().all(|s| s.flattened_mm.is_none() && s.what != "ball");
        if plain {
            prop_assert!((numbers.developed_mm - integrated).abs() < 1e-6 * integrated);
        }
        let sum: f64 = numbers.segments.iter().map(|segment| segment.length_mm).sum();
        prop_assert!((sum - numbers.developed_mm).abs() < 1e-9 * sum);
        let blank = numbers.blank;
        // Without an end that may be longer, the ruler's nearest mark: up to half of one short.
        let short = if blank.surplus_at.is_none() { 0.25 + 1e-9 } else { 1e-9 };
        prop_assert!(numbers.blank_mm >= numbers.blank_exact_mm - short);
        prop_assert!(numbers.blank_mm - numbers.blank_exact_mm < 0.5);
        let mut last = 0.0;
        for mark in &numbers.marks {
            prop_assert!(mark.at_mm >= last - 1e-9 && mark.to_mm >= mark.at_mm, "{:?}", numbers.marks);
            prop_assert!(mark.to_mm <= blank.flush_mm + short, "{:?} on {}", mark, blank.flush_mm);
            prop_assert!(mark.angle_deg >= mark.left_deg - 1e-9, "springback takes, never gives: {mark:?}");
            last = mark.at_mm;
        }
    }

    /// Everything scaled by k scales every length by k, and what is held and lost at the ends with it.
    #[test]
    fn scaling_scales_everything(request in near_usual(), k in 0.8..1.25_f64) {
        let Ok(formed) = request.form() else { return Ok(()) };
        let mut scaled = request.clone();
        scaled.wire.size_mm *= k;
        for parameter in request.kind.0.parameters.iter().filter(|p| p.unit == Unit::Mm) {
            scaled.parameters.insert(parameter.name.to_owned(), request.value(parameter.name) * k);
        }
        let Ok(large) = scaled.form() else { return Ok(()) };
        let near = |a: f64, b: f64| (a - b).abs() < 1e-6 * b.abs().max(1.0);
        prop_assert!(near(large.developed_mm(), k * formed.developed_mm()));
        let (a, b) = (large.extent.size(), formed.extent.size() * k);
        prop_assert!((a - b).length() < 1e-4 * b.length(), "{a} for {b}");
        let (a, b) = (large.blank(LengthUnit::Mm), formed.blank(LengthUnit::Mm));
        let without_tails = |blank: &lorimant_core::pattern::blank::Blank| {
            blank.exact_mm - blank.left_tail_mm - blank.right_tail_mm
        };
        prop_assert!(near(without_tails(&a), k * without_tails(&b)));
        for (x, y) in large.spans(&a).iter().zip(formed.spans(&b)) {
            prop_assert!(near(x.0 - a.starts_mm, k * (y.0 - b.starts_mm)) && near(x.1 - x.0, k * (y.1 - y.0)));
        }
    }

    /// Where a pattern says closed, the end face lands within a hundredth of a millimetre.
    #[test]
    fn loops_close(request in near_usual()) {
        let Ok(formed) = request.form() else { return Ok(()) };
        for closure in &formed.design.closures {
            let landing = formed.landing(closure).unwrap();
            prop_assert!(landing.gap_mm.abs() < 0.01, "{}: {} {landing:?}", request.kind.0.kind, closure.what);
        }
    }

    /// Forming moves no wire: after every step the centreline is as long as before, but for hammering.
    #[test]
    fn forming_keeps_the_wire(request in near_usual()) {
        let Ok(formed) = request.form() else { return Ok(()) };
        if formed.design.segments.iter().any(|s| s.flattened_mm.is_some() || s.what == "ball") { return Ok(()) }
        let made = formed.made(&Changes::default(), &bench()).unwrap();
        for done in 0..=made.steps.len() {
            prop_assert!((formed.after(&made.steps[..done]).length_mm - formed.developed_mm()).abs() < 1e-9 * formed.developed_mm());
        }
        // Straight at first: as far from end to end as the wire is long.
        let straight = formed.after(&[]);
        let apart = straight.end.at.distance(straight.placed[0].start.at);
        prop_assert!((apart - formed.developed_mm()).abs() < 1e-9 * apart);
    }

    /// Its mirror image is as long, as large, and passes the same checks.
    #[test]
    fn a_mirrored_piece_is_the_same_other_way_round(request in near_usual()) {
        let other = PatternRequest { mirrored: !request.mirrored, ..request.clone() };
        let (Ok(a), Ok(b)) = (request.form(), other.form()) else { return Ok(()) };
        prop_assert!((a.extent.size() - b.extent.size()).length() < 1e-9);
        prop_assert!((a.extent.least.x + b.extent.most.x).abs() < 1e-9);
        prop_assert_eq!(a.checks(&Workshop::default()).len(), b.checks(&Workshop::default()).len());
        prop_assert!(a.checks(&Workshop::default()).iter().zip(b.checks(&Workshop::default())).all(|(x, y)| x.ok == y.ok));
    }

    /// Nothing panics, whatever is asked; what is refused says where and why.
    #[test]
    fn nothing_panics_and_every_refusal_names_its_field(
        kind in kinds(), values in prop::collection::vec(prop_oneof![any::<f64>(), -5.0..300.0_f64, Just(0.0)], 12),
        size_mm in prop_oneof![any::<f64>(), 0.1..8.0_f64], pieces_n in any::<u32>(),
    ) {
        let mut request = PatternRequest { pieces_n, ..PatternRequest::usual(kind) };
        request.wire.size_mm = size_mm;
        for (parameter, value) in kind.0.parameters.iter().zip(values) {
            request.parameters.insert(parameter.name.to_owned(), value);
        }
        let sheet = request.sheet(&bench());
        prop_assert_eq!(sheet.faults.is_empty(), sheet.result.is_some());
        for fault in sheet.faults {
            prop_assert!(fault.message.ends_with('.') && !fault.field.is_empty(), "{fault:?}");
        }
        let _ = answer(&sheet.text, &bench(), &Vec::new);
    }

    /// What the sentence says the ask line understands.
    #[test]
    fn the_sentence_is_read_back(request in near_usual(), pieces_n in 1..500_u32) {
        let mut request = PatternRequest { pieces_n, ..request };
        // As exact as the sentence is: hundredths.
        request.wire.size_mm = (request.wire.size_mm * 100.0).round() / 100.0;
        for value in request.parameters.values_mut() {
            *value = (*value * 10.0).round() / 10.0;
        }
        if request.form().is_err() { return Ok(()) }
        let text = text(&sentence::write(&request, LengthUnit::Mm));
        let reply = answer(&text, &bench(), &Vec::new);
        prop_assert!(reply.unclear.is_empty() && reply.faults.is_empty(), "{text}: {:?} {:?}", reply.unclear, reply.faults);
        let read = reply.pattern.unwrap();
        // A size that is a gauge to the hundredth shown is read as that gauge.
        prop_assert!((read.wire.size_mm - request.wire.size_mm).abs() < 0.005, "{}", text);
        prop_assert_eq!(&Wire { size_mm: request.wire.size_mm, ..read.wire }, &request.wire, "{}", text);
        prop_assert_eq!((read.kind, read.pieces_n, read.mirrored), (request.kind, pieces_n, request.mirrored), "{}", text);
        for parameter in request.kind.0.parameters {
            let (text, meant) = (read.value(parameter.name), request.value(parameter.name));
            prop_assert!((text - meant).abs() < 0.006, "{text}: {} {text} for {meant}", parameter.name);
        }
    }

    /// A measure asked for is met by the dimension that gives way.
    #[test]
    fn what_is_asked_for_is_what_comes_out(request in near_usual(), share in 0.0..1.0_f64, which in 0..3_usize) {
        let measure = Measure::ALL[which];
        let name = request.gives_way(measure);
        let parameter = request.kind.0.parameter(name).unwrap();
        // A result that is surely possible: that of another value of the free dimension.
        let mut other = request.clone();
        let (low, high) = (parameter.min.max(parameter.default * 0.5), parameter.max.min(parameter.default * 2.0));
        other.parameters.insert(name.to_owned(), low + share * (high - low));
        let (Ok(mm), Ok(_)) = (other.measure(measure), request.form()) else { return Ok(()) };
        if !(0.5..2000.0).contains(&mm) { return Ok(()) }
        match request.fitted(&[Target { measure, mm }]) {
            Ok(fitted) => prop_assert!((fitted.measure(measure).unwrap() - mm).abs() < 1e-6, "{name} for {measure} {mm}"),
            // A width the free dimension does not move cannot be reached, and says so.
            Err(Faults(faults)) => {
                prop_assert!(faults[0].message.contains("cannot be reached"), "{faults:?}");
                let (a, b) = (request.measure(measure).unwrap(), mm);
                prop_assert!(measure != Measure::Blank && (a - b).abs() > 1e-9, "{faults:?} though {a} for {b}");
            }
        }
    }
}

#[test]
fn every_pattern_is_complete_and_sound_as_usually_made() {
    let workshop = bench();
    let mut words = std::collections::HashSet::new();
    for kind in Kind::all() {
        let pattern = kind.0;
        assert!(
            words.insert(pattern.kind) && words.insert(pattern.name.as_str()),
            "{} stands twice",
            pattern.kind
        );
        assert!(pattern.page.purpose.len() > 30 && pattern.page.wires.len() > 30, "{}", pattern.kind);
        assert!(!pattern.page.faults.is_empty(), "{}", pattern.kind);
        for name in [pattern.free.height, pattern.free.width, pattern.free.blank] {
            assert!(pattern.parameter(name).is_some(), "{}: {name}", pattern.kind);
        }
        for parameter in pattern.parameters {
            assert!(parameter.description.ends_with('.') && parameter.check(parameter.default).is_ok());
        }
        let sheet = PatternRequest::usual(kind).sheet(&workshop);
        let result = sheet.result.unwrap_or_else(|| panic!("{}: {:?}", pattern.kind, sheet.faults));
        for check in &result.form.checks {
            assert!(check.ok, "{}: {}", pattern.kind, check.text);
        }
        assert_eq!(result.stages.len(), result.form.steps.len(), "{}", pattern.kind);
        assert!(!result.front.drawing.shapes.is_empty() && !result.side.drawing.shapes.is_empty());
        for step in &result.form.steps {
            assert!(step.text.ends_with('.') && !step.text.contains("  "), "{}", step.text);
        }
        for figure in &result.figures {
            let working = &figure.working;
            for part in [
                &working.text,
                &working.formula,
                &working.numbers,
                &working.assumption,
                &working.spread,
                &working.source,
            ] {
                assert!(!part.is_empty(), "{}: {} lacks a working", pattern.kind, figure.key);
            }
        }
    }
}

/// A hook without its loop's closing trigonometry, added up by hand.
#[test]
fn an_open_hook_is_as_long_as_its_parts() {
    let d = 0.8118;
    let loop_deg = 360.0 - (2.2_f64 / (2.2 + 2.0 * d)).acos().to_degrees();
    let bend = |inside: f64, deg: f64| deg.to_radians() * (inside + d) / 2.0;
    let expected = bend(2.2, loop_deg) + 9.0 + bend(8.0, 180.0) + (13.0 - 3.5) + bend(3.0 * d, 18.0) + 3.5;
    let request = usual("open-ear-wire");
    let formed = request.form().unwrap();
    assert!((formed.developed_mm() - expected).abs() < 1e-9, "{} for {expected}", formed.developed_mm());
    let blank = formed.blank(LengthUnit::Mm);
    // Only the tip is filed; the loop's end lies against the front. One sliver makes the piece flush.
    let flush = expected + 0.15 * d;
    assert!((blank.flush_exact_mm() - flush).abs() < 1e-9);
    assert!((blank.flush_mm - (flush * 2.0).ceil() / 2.0).abs() < 1e-9 && blank.surplus_at == Some("tip"));
    assert!((blank.cut_mm - blank.flush_mm - 0.6 * d).abs() < 1e-9);
    let inch = formed.blank(LengthUnit::Inch).flush_mm / 25.4 * 32.0;
    assert!((inch - inch.round()).abs() < 1e-9 && inch >= flush / 25.4 * 32.0);
    // Its height: the crown's outside above, the loop's bottom or the tip below, by hand.
    let above = 4.0 + d;
    let below = (9.0_f64 + 1.1 + d).max(9.5 + bend(3.0 * d, 18.0) + 3.5);
    assert!((formed.extent.size().y - (above + below)).abs() < 0.5, "{}", formed.extent.size().y);
}

/// Load that opens a hook: σ·d³/6 over the arm of the pull, σ from the handbook's curve by hand.
#[test]
fn what_opens_a_hook_follows_the_formula() {
    // As bending leaves it, before the mallet.
    let route = Changes { without: vec![Operation::Hammer], ..Changes::default() };
    let request = PatternRequest { route, ..usual("hook-clasp") };
    let nothing_owned = Workshop::default();
    let finished = request.finished(&nothing_owned).unwrap();
    let (formed, gives) = (&finished.formed, finished.gives.unwrap());
    let (bend, newtons) = (gives.segment, gives.collapse_n());
    assert_eq!(formed.design.segments[bend].what, "bend");
    // Bent tighter than what is left: the radius on the tool is what hardened it.
    let (d, radius) = (1.291_f64, (5.0 + 1.291) / 2.0);
    let wound = formed.bending.wound_radius(radius).unwrap();
    assert!(wound < radius && (formed.bending.springback_ratio(wound) - wound / radius).abs() < 1e-9);
    let worked = 0.464 + 2.0 * d / (3.0 * std::f64::consts::PI) / wound;
    let stress = 440.0 - (440.0 - 130.0) * (-worked / 0.55_f64).exp();
    let (_, arm) = *formed.arms().iter().find(|(segment, _)| *segment == bend).unwrap();
    let expected = stress * d.powi(3) / 6.0 / arm;
    assert!((newtons - expected).abs() < 1e-3 * expected, "{newtons} for {expected}");
    let used = (1.0 + d / (2.0 * wound)).ln() / (1.2 - 0.4 * 0.464);
    assert!((finished.strain_used(bend) - used).abs() < 1e-3);
    // Two wires side by side carry twice as much.
    let doubled = usual("doubled-hook");
    let two = doubled.finished(&nothing_owned).unwrap();
    let gives = two.gives.unwrap();
    let one = gives.stress_mpa * gives.modulus_mm3 / gives.arm_mm;
    assert!((gives.collapse_n() - 2.0 * one).abs() < 1e-9, "{} for twice {one}", gives.collapse_n());
}

/// Hammering keeps the volume: a paddle's wire is its length over (h/t)^0.3.
#[test]
fn a_paddle_takes_less_wire_than_it_is_long() {
    let request = usual("paddle-head-pin");
    let formed = request.form().unwrap();
    let (h, t) = (0.8118_f64, request.value("thickness_mm"));
    let expected = request.value("paddle_mm") / (h / t).powf(0.3);
    assert!((formed.wire_mm[0] - expected).abs() < 1e-9);
}

#[rstest]
#[case(0.0, 2.5, 2.5)]
#[case(1.0, 3.0, 2.5)]
fn wraps_are_counted_by_the_rule_that_is_stated(
    #[case] counted: f64,
    #[case] wraps: f64,
    #[case] turns: f64,
) {
    let request = with("wrapped-loop-link", &[("counted", counted), ("wraps_n", wraps)]);
    let formed = request.form().unwrap();
    let wound: f64 = formed
        .design
        .segments
        .iter()
        .filter(|s| s.what == "wraps")
        .map(|s| s.curve(formed.design.profile).angle())
        .sum();
    // Both ends.
    assert!((wound / std::f64::consts::TAU - 2.0 * turns).abs() < 1e-9, "{wound}");
    let text = text(&sentence::write(&request, LengthUnit::Mm));
    assert!(text.contains(if counted > 0.5 { "wires seen side by side" } else { "full turns" }), "{text}");
}

/// Jaw and rod places give each bend's inside after letting go, as near as the workshop's tools can.
#[test]
fn tools_give_the_inside_wanted() {
    let request = usual("open-ear-wire");
    let formed = request.form().unwrap();
    let numbers = request.finished(&bench()).unwrap().in_numbers(&bench());
    let mark = &numbers.marks[0];
    assert_eq!((mark.what, mark.tool.as_str()), ("loop", "slim round-nose"));
    // The jaw's Ø springs to the loop's: 1/R1 = 1/R0 − M/EI, and lies where the taper has it.
    let jaw = mark.tool_mm.unwrap();
    assert!(jaw < 2.2 && jaw > 2.0);
    assert!((mark.jaw_mm.unwrap() - (jaw - 1.2) / (5.5 - 1.2) * 24.0).abs() < 1e-9);
    assert!((mark.slip_mm.unwrap() - 4.3 / 24.0).abs() < 1e-12);
    let c = 0.8118 / 2.0;
    let left = 1.0 / formed.bending.relaxed(1.0 / (jaw / 2.0 + c));
    assert!((2.0 * (left - c) - 2.2).abs() < 1e-6);
    // Without any tools it says which one would do.
    let bare = request.finished(&Workshop::default()).unwrap().in_numbers(&Workshop::default());
    let rolled = bare.steps.iter().find(|step| step.what == "loop").unwrap();
    let hint = rolled.hint.as_deref().unwrap();
    assert!(hint.contains("2.1 mm"), "{hint}");
    // Re-marked for a stepped plier, nearest step.
    let stepped = Plier {
        reach_mm: None,
        name: "six-step".to_owned(),
        jaws: Jaws::Stepped,
        diameters_mm: vec![2.0, 3.0, 9.0],
        tip_mm: None,
        base_mm: None,
        length_mm: None,
        measured: vec![],
    };
    let owns = Workshop { pliers: vec![stepped], ..Workshop::default() };
    let again = PatternRequest { plier: Some("Six-Step".to_owned()), ..request.clone() };
    let marks = again.finished(&owns).unwrap().marks;
    assert_eq!((marks[0].tool_mm, marks[0].jaw_mm), (Some(2.0), None));
    let unknown = PatternRequest { plier: Some("long-nose".to_owned()), ..request };
    let text = unknown.form_with(&owns).err().unwrap().0.remove(0);
    assert!(text.field == "plier" && text.message.contains("six-step"), "{text:?}");
}

#[rstest]
#[case("open-ear-wire", &[("tip_mm", 25.0)], "parameters.back_mm", "negative")]
#[case("s-clasp", &[("nose_mm", 1.0)], "parameters.nose_mm", "to close on")]
#[case("wrapped-ear-wire", &[("wraps_n", 12.0), ("drop_mm", 5.0)], "parameters.drop_mm", "The wraps cover")]
#[case("eye-pin", &[("hammered_mm", 0.7)], "parameters.hammered_mm", "cannot be hammered")]
#[case("balled-head-pin", &[("ball_mm", 0.5)], "parameters.ball_mm", "no thicker than its wire")]
#[case("cone-cap", &[("turns_n", 2.0)], "parameters.turns_n", "at least")]
#[case("cone-cap", &[("small_mm", 9.0)], "parameters.small_mm", "at most 8 mm")]
#[case("open-ear-wire", &[("loop_mm", -1.0)], "parameters.loop_mm", "negative")]
#[case("open-ear-wire", &[("loop_mm", f64::NAN)], "parameters.loop_mm", "not a number")]
#[case("open-ear-wire", &[("lop_mm", 2.0)], "parameters.lop_mm", "Did you mean “loop_mm”?")]
#[case("open-ear-wire", &[("loop_side", 0.5)], "parameters.loop_side", "is between two options for the")]
fn what_cannot_be_made_says_why_at_its_field(
    #[case] kind: &str,
    #[case] changes: &[(&str, f64)],
    #[case] field: &str,
    #[case] says: &str,
) {
    let faults = with(kind, changes).form().err().unwrap().0;
    let fault = faults.iter().find(|fault| fault.field == field).unwrap_or_else(|| panic!("{faults:?}"));
    assert!(fault.message.contains(says), "{}", fault.message);
}

#[rstest]
#[case(with("figure-eight", &[("second_mm", 5.0)]), About::Through, true)]
#[case(with("hook-clasp", &[("ring_mm", 6.0)]), About::Mouth, false)]
#[case(with("hook-clasp", &[("ring_mm", 2.0)]), About::Mouth, true)]
#[case(with("coil-cap", &[("fit_mm", 2.0)]), About::Bore, false)]
#[case(with("eye-pin", &[("stem_mm", 6.0)]), About::Stem, false)]
#[case(with("open-ear-wire", &[("tip_deg", 0.0)]), About::Tip, false)]
#[case(with("s-clasp", &[("turn_deg", 230.0), ("nose_mm", 30.0)]), About::Through, false)]
fn checks_find_what_is_wrong_and_nothing_else(
    #[case] request: PatternRequest,
    #[case] about: About,
    #[case] ok: bool,
) {
    let formed = request.form();
    let Ok(formed) = formed else { panic!("{:?}", formed.err()) };
    let checks = formed.checks(&Workshop::default());
    let found = checks.iter().find(|check| check.about == about).unwrap_or_else(|| panic!("{checks:?}"));
    assert_eq!(found.ok, ok, "{}", found.text);
}

#[rstest]
#[case(Metal::NickelSilver, 0.8118, About::Skin)]
#[case(Metal::Copper, 0.8118, About::Skin)]
#[case(Metal::SterlingSilver, 1.3, About::Piercing)]
#[case(Metal::SterlingSilver, 0.4, About::Piercing)]
fn ear_wires_are_checked_for_ears(#[case] metal: Metal, #[case] size_mm: f64, #[case] about: About) {
    let mut request = usual("open-ear-wire");
    request.wire = Wire {
        metal,
        size_mm,
        temper: Temper::Soft,
        section: Section::Round,
        surface: Surface::Bare,
        lot: None,
    };
    let formed = request.form().unwrap();
    assert!(formed.checks(&Workshop::default()).iter().any(|check| check.about == about && !check.ok));
}

/// A lost ear wire's single, measured: height and width, given the loop; the recipe matches it.
#[test]
fn a_single_piece_gives_the_recipe_to_match_it() {
    let lost = with("open-ear-wire", &[("loop_mm", 2.6), ("front_mm", 14.3), ("crown_mm", 8.2)]);
    let size = lost.form().unwrap().extent.size();
    let start = with("open-ear-wire", &[("loop_mm", 2.6)]);
    let targets =
        [Target { measure: Measure::Width, mm: size.x }, Target { measure: Measure::Height, mm: size.y }];
    let back_gives_height = start.fitted(&targets);
    let found = back_gives_height.unwrap();
    let again = found.form().unwrap().extent.size();
    assert!((again - size).truncate().length() < 1e-5, "{again} for {size}");
    assert!((found.value("crown_mm") - 8.2).abs() < 1e-4, "{}", found.value("crown_mm"));
    let text = start.fitted(&[Target { measure: Measure::Height, mm: 1.0 }]).unwrap_err().0.remove(0);
    assert!(text.field == "targets[0].mm" && text.limit.is_some(), "{text:?}");
    assert!(start.fitted(&[]).is_err());
    assert!(start.fitted(&[targets[0], targets[0]]).is_err());
}

/// What gave way is named, and a size that no tool of the workshop bends is refused where a tool gave the one before.
#[test]
fn a_fit_names_what_it_changed_and_keeps_to_the_tools_there_are() {
    let hook = usual("open-ear-wire");
    let wider = |by: f64| {
        let mm = hook.measure(Measure::Width).unwrap() + by;
        hook.fitted_with(&[Target { measure: Measure::Width, mm }], &bench())
    };
    // Rods by halves of a millimetre: half a millimetre more is the next rod.
    let fitted = wider(0.5).unwrap();
    assert_eq!(fitted.changes, ["crown 8.5 mm instead of 8 mm"]);
    let none = Workshop { rods: vec![Mandrel::round(8.5)], ..bench() };
    let mm = hook.measure(Measure::Width).unwrap() + 4.0;
    let refused = hook.fitted_with(&[Target { measure: Measure::Width, mm }], &none).unwrap_err();
    assert_eq!(refused.0[0].field, "targets[0].mm");
    assert!(refused.0[0].message.contains("You have no jaw or rod of"), "{}", refused.0[0].message);
    // Of two targets, it is the width's that no rod gives.
    let height = Target { measure: Measure::Height, mm: hook.measure(Measure::Height).unwrap() + 2.0 };
    let refused = hook.fitted_with(&[Target { measure: Measure::Width, mm }, height], &none).unwrap_err();
    assert_eq!(refused.0[0].field, "targets[0].mm");
}

/// Practise in copper, then cut silver: proportions kept, blank recomputed.
#[test]
fn a_transfer_keeps_the_proportions() {
    let request = usual("hook-clasp");
    let wire = Wire {
        metal: Metal::Copper,
        section: Section::Round,
        size_mm: 1.628,
        temper: Temper::Soft,
        surface: Surface::Bare,
        lot: None,
    };
    let transferred = request.transferred(&wire, &Workshop::default()).unwrap();
    let k = 1.628 / 1.291;
    for name in ["eye_mm", "shank_mm", "bend_mm"] {
        assert!((transferred.request.value(name) - k * request.value(name)).abs() < 1e-6, "{name}");
    }
    assert!((transferred.request.value("tip_deg") - request.value("tip_deg")).abs() < 1e-12);
    let (a, b) = (transferred.request.form().unwrap().developed_mm(), request.form().unwrap().developed_mm());
    assert!((a - k * b).abs() < 1e-4, "{a} for {}", k * b);
    assert!(
        transferred.differences.iter().any(|line| line.starts_with("Cut ")),
        "{:?}",
        transferred.differences
    );
    let same = request.transferred(&request.wire, &Workshop::default()).unwrap();
    assert!((same.request.value("eye_mm") - 4.0).abs() < 1e-9);
}

fn ring(inside: f64, size_mm: f64) -> Piece {
    let text = format!(
        r#"{{"rings": {{"wire": {{"metal": "copper", "size_mm": {size_mm}}}, "mandrel": {{"diameter_mm": {inside}}}, "rings_n": 1}}}}"#
    );
    serde_json::from_str(&text).unwrap()
}

#[test]
fn rings_go_into_hooks_or_say_why_not() {
    let hook = Piece::Finding(with("hook-clasp", &[("bend_mm", 3.0)]));
    let fits = mate(&hook, &ring(5.0, 1.0), &Workshop::default()).unwrap();
    assert!(fits.iter().all(|fit| fit.ok), "{fits:?}");
    let thick = mate(&hook, &ring(5.0, 3.2), &Workshop::default()).unwrap();
    assert!(thick.iter().any(|fit| !fit.ok && fit.text.contains("3.2 mm")), "{thick:?}");
    let tight = mate(&hook, &ring(1.2, 0.8), &Workshop::default()).unwrap();
    assert!(tight.iter().any(|fit| !fit.ok && fit.text.contains("does not fit through its")), "{tight:?}");
    let broken = mate(
        &Piece::Finding(with("hook-clasp", &[("bend_mm", -3.0)])),
        &ring(5.0, 1.0),
        &Workshop::default(),
    )
    .unwrap_err();
    assert_eq!(broken.0[0].field, "first.parameters.bend_mm");
}

#[test]
fn the_ask_line_knows_findings() {
    let reply = answer("24 pairs hooks 21 ga sterling half-hard", &bench(), &Vec::new);
    assert!(reply.unclear.is_empty(), "{:?}", reply.unclear);
    let asked = reply.pattern.unwrap();
    assert_eq!((asked.kind.0.kind, asked.pieces_n, asked.blanks_n()), ("open-ear-wire", 24, 48));
    assert_eq!((asked.wire.metal, asked.wire.temper), (Metal::SterlingSilver, Temper::HalfHard));
    // 21 AWG by its definition.
    assert!((asked.wire.size_mm - 0.127 * 92_f64.powf(15.0 / 39.0)).abs() < 1e-9);
    let asked = answer("figure eight 3mm loops 18ga", &bench(), &Vec::new).pattern.unwrap();
    assert_eq!(asked.kind.0.kind, "figure-eight");
    assert!((asked.value("loop_mm") - 3.0).abs() < 1e-9 && (asked.value("second_mm") - 3.0).abs() < 1e-9);
    let mended = answer("24 pairs hoks sterling", &bench(), &Vec::new);
    assert!(mended.assumed.iter().any(|text| text == "“hoks” is read as hooks."), "{:?}", mended.assumed);
    assert_eq!(mended.pattern.unwrap().pieces_n, 24);
}

/// Both halves of a folded wire are marked alike, and told once.
#[test]
fn a_place_that_is_marked_twice_is_told_once() {
    let pair = usual("folded-pair");
    let workshop = bench();
    let finished = pair.finished(&workshop).unwrap();
    let told: Vec<String> =
        lorimant_core::pattern::sheet::measured(&finished.marks).map(|mark| mark.place_told()).collect();
    let once: std::collections::BTreeSet<&String> = told.iter().collect();
    assert_eq!(told.len(), once.len(), "{told:?}");
    assert!(finished.marks.len() > told.len() && told.len() >= 3, "{told:?}");
}
