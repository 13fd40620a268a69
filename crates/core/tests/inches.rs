//! Inches first means inches everywhere: whatever a workshop reads says its lengths in the unit it reads first.
//! Millimetres stand only in brackets behind an inch, in the name of a gauge, and in the sums of a working.

#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::slim_pliers;
use lorimant_core::ask::answer;
use lorimant_core::pattern::{Kind, PatternRequest, Unit};
use lorimant_core::piece::Piece;
use lorimant_core::piece::mate::mate;
use lorimant_core::ring::RingRequest;
use lorimant_core::ring::sentence::Slot;
use lorimant_core::tool::mandrel::{Mandrel, Shape};
use lorimant_core::tool::workshop::{StartSet, Workshop};
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::words::length::{Habits, LengthUnit, caliper, on_ruler};
use rstest::rstest;

fn workshop() -> Workshop {
    let mut rods: Vec<Mandrel> = StartSet::ALL.iter().flat_map(|set| set.rods()).collect();
    rods.push(Mandrel { shape: Shape::Oval, short_mm: Some(5.0), ..Mandrel::round(8.0) });
    let habits = Habits { unit: LengthUnit::Inch, ..Habits::default() };
    Workshop { rods, pliers: vec![slim_pliers()], habits, ..Workshop::default() }
}

/// The millimetres in a text that stand for themselves.
fn bare_mm(text: &str) -> Option<&str> {
    let mut depth = 0_i32;
    for (at, sign) in text.char_indices() {
        match sign {
            '(' => depth += 1,
            ')' => depth -= 1,
            'm' if depth == 0 => {
                let rest = &text[at..];
                let ends =
                    rest.strip_prefix("mm").is_some_and(|rest| !rest.starts_with(char::is_alphanumeric));
                // A rule that knows no workshop refuses in both units.
                let both = rest.strip_prefix("mm (").is_some_and(|rest| rest.contains(" in)"));
                let number = text[..at].trim_end().ends_with(|c: char| c.is_ascii_digit());
                if ends && number && !both {
                    return Some(text);
                }
            }
            _ => {}
        }
    }
    None
}

#[track_caller]
fn all_in_inches<'a>(texts: impl IntoIterator<Item = &'a str>) {
    let bare: Vec<&str> = texts.into_iter().filter_map(bare_mm).collect();
    assert!(bare.is_empty(), "millimetres where inches are read first: {bare:#?}");
}

#[test]
fn every_finding_is_told_in_inches() {
    let workshop = workshop();
    for kind in Kind::all() {
        let mut request = PatternRequest::usual(kind);
        for steel in [false, true] {
            if steel {
                request.wire = Wire { temper: Temper::HalfHard, ..request.wire };
            }
            let sheet = request.sheet(&workshop);
            let worked = sheet.result.unwrap();
            let form = &worked.form;
            all_in_inches([sheet.text.as_str()]);
            all_in_inches(
                form.steps.iter().flat_map(|step| [Some(step.text.as_str()), step.hint.as_deref()]).flatten(),
            );
            all_in_inches(form.checks.iter().map(|check| check.text.as_str()));
            all_in_inches(form.marks.iter().map(|mark| mark.tool.as_str()));
            all_in_inches(worked.figures.iter().filter_map(|figure| figure.more.as_deref()));
            all_in_inches([worked.front.drawing.described.as_str(), worked.side.drawing.described.as_str()]);
            all_in_inches([request.thumbnail(&workshop).unwrap().cut.as_str()]);
            for parameter in kind.0.parameters.iter().filter(|parameter| parameter.unit == Unit::Choice) {
                let choices = request.choices(parameter.name, &workshop);
                all_in_inches(choices.iter().map(|choice| choice.effect.as_str()));
            }
            for slot in ["metal", "temper", "section"] {
                all_in_inches(request.choices(slot, &workshop).iter().map(|choice| choice.effect.as_str()));
            }
        }
        let ring = Piece::Rings(RingRequest::new(
            Wire::round(Metal::Copper, 1.0, Temper::Soft),
            Mandrel::round(5.0),
            1,
        ));
        let fits = mate(&Piece::Finding(PatternRequest::usual(kind)), &ring, &workshop).unwrap();
        all_in_inches(fits.iter().map(|fit| fit.text.as_str()));
    }
}

#[rstest]
#[case(Mandrel::round(5.0))]
#[case(Mandrel { shape: Shape::Oval, short_mm: Some(5.0), ..Mandrel::round(8.0) })]
#[case(Mandrel { shape: Shape::Hexagon, ..Mandrel::round(6.0) })]
fn every_ring_plan_is_told_in_inches(#[case] rod: Mandrel) {
    let workshop = workshop();
    let request = RingRequest::new(Wire::round(Metal::Copper, 0.3, Temper::Soft), rod, 120);
    let sheet = request.sheet(&workshop);
    let worked = sheet.result.unwrap();
    all_in_inches([sheet.text.as_str(), worked.strip.sum.as_str()]);
    all_in_inches(worked.strip.zones.iter().map(|zone| zone.text.as_str()));
    all_in_inches(worked.figures.iter().filter_map(|figure| figure.more.as_deref()));
    all_in_inches(worked.cautions.iter().map(|caution| caution.text.as_str()));
    all_in_inches([worked.wound.described.as_str(), worked.released.described.as_str()]);
    all_in_inches(worked.rods.iter().map(|rod| rod.label.as_str()));
    for slot in Slot::ALL {
        let choices = request.choices(*slot, &workshop);
        all_in_inches(choices.iter().flat_map(|choice| [choice.label.as_str(), choice.effect.as_str()]));
    }
}

#[rstest]
#[case("120 rings 5 mm inside copper 18 soft")]
#[case("24 pairs ear wires 21 ga sterling")]
#[case("how many rings 5 mm inside copper 18 awg from 2 m")]
#[case("what can i make from 3 m of 18 ga copper")]
#[case("how much 16 ga brass for 300 rings 6mm")]
#[case("how many eye pins from 10 ft 22 ga copper")]
#[case("10 g of 18 ga copper")]
#[case("8 x 5 mm oval rings 18 ga copper")]
fn the_ask_line_answers_in_inches(#[case] line: &str) {
    let answer = answer(line, &workshop(), &Vec::new);
    all_in_inches([answer.headline.as_str()]);
    all_in_inches(answer.assumed.iter().map(String::as_str));
    all_in_inches(answer.makes.iter().map(|makes| makes.text.as_str()));
    all_in_inches(answer.candidates.iter().map(|rod| rod.label.as_str()));
}

/// The setting says how lengths are read, never what is cut: a blank is rounded to the ruler's mark, and the
/// piece in it is the same.
#[test]
fn the_unit_changes_what_is_shown_and_never_the_piece() {
    let inches = workshop();
    let metric = Workshop { habits: Habits::default(), ..inches.clone() };
    for kind in Kind::all() {
        let request = PatternRequest::usual(kind);
        let here = request.sheet(&inches).result.unwrap().form;
        let there = request.sheet(&metric).result.unwrap().form;
        assert_eq!((here.developed_mm, here.blank_exact_mm), (there.developed_mm, there.blank_exact_mm));
        for form in [&here, &there] {
            assert!((form.blank.flush_exact_mm() + form.blank.trim_mm - here.blank_exact_mm).abs() < 1e-9);
        }
        for (a, b) in here.segments.iter().zip(&there.segments) {
            assert_eq!((a.shape, a.length_mm), (b.shape, b.length_mm), "{}", a.what);
        }
    }
}

#[rstest]
#[case(25.4, "1 in")]
#[case(25.4 / 32.0, "1/32 in")]
#[case(48.5, "1 29/32 in")]
#[case(50.0, "1 31/32 in")]
#[case(0.1, "0.004 in")]
#[case(12.5, "1/2 in")]
#[case(13.0, "1/2 in")]
fn a_ruler_is_read_to_a_thirty_second(#[case] mm: f64, #[case] text: &str) {
    assert_eq!(on_ruler(mm, LengthUnit::Inch), text);
}

#[test]
fn a_caliper_is_read_in_hundredths_and_small_sizes_in_thousandths() {
    assert_eq!(caliper(3.9116, LengthUnit::Inch), "0.15 in");
    assert_eq!(caliper(0.8128, LengthUnit::Inch), "0.032 in");
}
