//! Wire is accounted for: what is cut is in the piece, in its trims, filings, tails and what the ruler adds; marks lie
//! on the blank in the order of the wire.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{bench, kinds, usual, with};
use lorimant_core::making::Operation;
use lorimant_core::making::run::From;
use lorimant_core::pattern::blank::Blank;
use lorimant_core::pattern::{BlankEnds, Kind, PatternRequest};
use lorimant_core::piece::Piece;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::length::{Habits, LengthUnit, ruler_step_mm};
use proptest::prelude::*;
use rstest::rstest;

fn blank_of(request: &PatternRequest, unit: LengthUnit) -> Blank {
    request.form().unwrap().blank(unit)
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(88))]

    #[test]
    fn what_is_cut_is_where_it_is_said_to_be(
        kind in kinds(),
        size in 0.85..1.15_f64,
        ends in (0.0..3.0_f64, 0.0..2.0_f64, 0.0..30.0_f64),
        inches in any::<bool>(),
    ) {
        let (trim, filing, tail) = ends;
        let mut request = PatternRequest::usual(kind);
        request.wire.size_mm *= size;
        request.ends = BlankEnds { trim_mm: Some(trim), filing_mm: Some(filing), tail_mm: Some(tail) };
        let Ok(formed) = request.form() else { return Ok(()) };
        let unit = if inches { LengthUnit::Inch } else { LengthUnit::Mm };
        let blank = formed.blank(unit);
        let filed = blank.left_filing_mm + blank.right_filing_mm;
        let off = filed + blank.left_tail_mm + blank.right_tail_mm;
        prop_assert!((blank.flush_mm - blank.developed_mm - off - blank.surplus_mm).abs() < 1e-9);
        prop_assert!((blank.cut_mm - blank.flush_mm - blank.trim_mm).abs() < 1e-9);
        prop_assert!((blank.cut_mm - blank.exact_mm - blank.surplus_mm).abs() < 1e-9);
        // The ruler reads it; what closes at both ends takes the nearest mark, anything else the next.
        let step = ruler_step_mm(unit);
        let on_ruler = blank.flush_mm / step;
        prop_assert!((on_ruler - on_ruler.round()).abs() < 1e-6, "{}", blank.flush_mm);
        let short = if blank.surplus_at.is_none() { step / 2.0 } else { 0.0 };
        prop_assert!(blank.surplus_mm > -short - 1e-9 && blank.surplus_mm < step - short + 1e-9);
        // The finished wire lies between the filings and tails of the flush blank.
        let spans = formed.spans(&blank);
        let (from, to) = (spans.first().unwrap().0, spans.last().unwrap().1);
        prop_assert!((from - blank.starts_mm).abs() < 1e-9);
        prop_assert!((to - from - blank.developed_mm).abs() < 1e-9);
        let ends_mm = blank.flush_exact_mm() - blank.right_filing_mm - blank.right_tail_mm;
        prop_assert!(to <= ends_mm + 1e-9);
    }

    #[test]
    fn marks_stand_on_the_blank_from_left_to_right(kind in kinds(), size in 0.85..1.15_f64) {
        let mut request = PatternRequest::usual(kind);
        request.wire.size_mm *= size;
        let Some(worked) = request.sheet(&bench()).result else { return Ok(()) };
        let form = &worked.form;
        for pair in form.marks.windows(2) {
            prop_assert!(pair[0].to_mm <= pair[1].at_mm + 1e-9, "{:?}", pair);
        }
        for mark in &form.marks {
            prop_assert!(mark.at_mm >= -1e-9 && mark.to_mm <= form.blank.flush_mm + 0.25 + 1e-9, "{:?}", mark);
            // A bend goes at least as far as it is to be left.
            prop_assert!(mark.angle_deg >= mark.left_deg - 1e-6, "{:?}", mark);
        }
    }
}

#[rstest]
#[case("wrapped-ear-wire")]
#[case("wrapped-loop-link")]
fn what_needs_a_tail_says_how_long_and_takes_another(#[case] kind: &str) {
    let usual_blank = blank_of(&usual(kind), LengthUnit::Mm);
    let tails = usual_blank.left_tail_mm + usual_blank.right_tail_mm;
    assert!(tails > 0.0, "{kind} is held by a tail");
    let mut longer = usual(kind);
    longer.ends.tail_mm = Some(60.0);
    let blank = blank_of(&longer, LengthUnit::Mm);
    let ends = [usual_blank.left_tail_mm, usual_blank.right_tail_mm].iter().filter(|mm| **mm > 0.0).count();
    assert!((blank.left_tail_mm + blank.right_tail_mm - 60.0 * [0.0, 1.0, 2.0][ends]).abs() < 1e-9);
}

#[test]
fn what_needs_none_has_none() {
    let mut hook = usual("hook-clasp");
    hook.ends.tail_mm = Some(40.0);
    let blank = blank_of(&hook, LengthUnit::Mm);
    assert!((blank.left_tail_mm + blank.right_tail_mm).abs() < 1e-12);
}

#[rstest]
#[case("ends.trim_mm", |ends: &mut BlankEnds| ends.trim_mm = Some(-1.0), "negative")]
#[case("ends.trim_mm", |ends: &mut BlankEnds| ends.trim_mm = Some(50.0), "too large")]
#[case("ends.filing_mm", |ends: &mut BlankEnds| ends.filing_mm = Some(f64::NAN), "not a number")]
#[case("ends.tail_mm", |ends: &mut BlankEnds| ends.tail_mm = Some(500.0), "too large")]
fn ends_that_cannot_be_are_refused_at_their_field(
    #[case] field: &str,
    #[case] change: fn(&mut BlankEnds),
    #[case] says: &str,
) {
    let mut request = usual("hook-clasp");
    change(&mut request.ends);
    let fault = request.form().err().unwrap().0.remove(0);
    assert!(fault.field == field && fault.message.contains(says), "{fault:?}");
}

#[test]
fn a_thicker_wire_takes_a_longer_blank_and_larger_losses() {
    for kind in Kind::all() {
        let request = PatternRequest::usual(kind);
        let mut thicker = request.clone();
        thicker.wire.size_mm *= 1.1;
        let Ok(formed) = thicker.form() else { continue };
        let (a, b) = (blank_of(&request, LengthUnit::Mm), formed.blank(LengthUnit::Mm));
        assert!(b.trim_mm > a.trim_mm && b.filing_mm > a.filing_mm, "{}", kind.0.kind);
    }
}

#[test]
fn blanks_are_counted_for_pairs_and_pieces() {
    let shop = Workshop::default();
    let blanks = |request: PatternRequest| Piece::Finding(request).blanks(&shop).unwrap();
    let hooks = PatternRequest { pieces_n: 24, ..usual("open-ear-wire") };
    assert_eq!(blanks(hooks.clone()).n, 48);
    assert_eq!(blanks(PatternRequest { count_singles: true, ..hooks }).n, 24);
    let clasps = PatternRequest { pieces_n: 12, ..usual("hook-clasp") };
    let text = blanks(clasps).shown(LengthUnit::Inch);
    assert!(text.starts_with("12 blanks of ") && text.contains(" in"), "{text}");
}

#[test]
fn steps_are_said_in_the_workshops_unit() {
    let inches = Workshop { habits: Habits { unit: LengthUnit::Inch, ..Habits::default() }, ..bench() };
    let texts = |shop: &Workshop| -> Vec<String> {
        let worked = with("hook-clasp", &[]).sheet(shop).result.unwrap();
        worked.form.steps.into_iter().map(|step| step.text).collect()
    };
    assert!(texts(&bench())[2].contains(" mm"), "{:?}", texts(&bench())[2]);
    assert!(texts(&inches)[2].contains(" in"), "{:?}", texts(&inches)[2]);
}

/// Every instruction is a whole sentence in a maker's words: no number that is none, no empty place.
#[test]
fn every_instruction_can_be_followed() {
    for kind in Kind::all() {
        for shop in [bench(), Workshop::default()] {
            let worked = PatternRequest::usual(kind).sheet(&shop).result.unwrap();
            for step in &worked.form.steps {
                let text = &step.text;
                assert!(text.ends_with('.') || text.ends_with('!'), "{}: {text}", kind.0.kind);
                for wrong in ["NaN", "inf", "  ", " ,", " .", "-0 ", "None"] {
                    assert!(!text.contains(wrong), "{}: {text}", kind.0.kind);
                }
                let step_n = worked.form.steps.iter().position(|one| one == step).unwrap() + 1;
                assert_eq!(step.step_n, step_n, "{}", kind.0.kind);
            }
            let cut = worked.form.steps.iter().find(|step| step.operation == Operation::Cut).unwrap();
            assert!(cut.caution.is_some(), "cutting carries its caution");
        }
    }
}

/// What the ruler adds lies at one end; whatever is marked is measured from the other, or it would be off by as much.
#[test]
fn nothing_is_measured_from_the_end_that_comes_out_longer() {
    for kind in Kind::all() {
        let form = PatternRequest::usual(kind).sheet(&bench()).result.unwrap().form;
        // A coil is wound from where it is anchored, however long that tail.
        let measured = form.marks.iter().filter(|mark| mark.what != "coil" && mark.what != "cone");
        for mark in measured {
            let wrong = match form.blank.surplus_far {
                Some(true) => mark.from == From::FarEnd,
                Some(false) => mark.from == From::NearEnd,
                None => false,
            };
            assert!(!wrong || mark.segment_n == 0 && mark.from_end, "{}: {mark:?}", kind.0.kind);
        }
    }
}
