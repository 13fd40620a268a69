//! Trials: the next blank and its marks, in the maker's own step.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::causes::PATTERNS;
use crate::common::{tapered, usual};
use lorimant_core::chance::Chance;
use lorimant_core::learn::trial::{GOOD_MM, Trial, next};
use lorimant_core::making::Changes;
use lorimant_core::pattern::measure::Measures;
use lorimant_core::pattern::slipped::Slips;
use lorimant_core::pattern::{PatternRequest, Unit};
use lorimant_core::piece::Piece;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::words::length::{Habits, LengthUnit};
use rstest::rstest;
use std::collections::BTreeMap;

/// A maker whose bends take more wire than they should, and whose mark is a little off: tries a pattern until it is right.
#[rstest]
fn trials_come_right_within_three_blanks() {
    let workshop = tapered();
    let mut chance = Chance::of(5);
    let (mut right, mut all) = (0, 0);
    for i in 0..200_u32 {
        let request = usual(PATTERNS[i as usize % PATTERNS.len()]);
        let needs_mm = chance.normal(2.0);
        let planned = request.form().unwrap().by(workshop.methods);
        let planned_mm = planned.blank(LengthUnit::Mm).flush_exact_mm();
        let measures = planned.measures();
        let mut slid = chance.normal(0.6);
        // The first blank is a guess.
        let mut blank_mm = ((planned_mm + chance.normal(3.0)) * 2.0).round() / 2.0;
        let mut trials = vec![];
        for _ in 0..3 {
            let made = planned.made(&Changes::default(), &workshop).unwrap();
            let mark_mm = slid + chance.normal(0.15);
            let came_out = planned.slipped(&made, &Slips { mark_mm, ..Slips::default() });
            // What loops spend more comes out of the straight next to them, so the blank is over or short by the rest.
            let grown: f64 = grown_mm(&request, &measures, &came_out.measures());
            let over_mm = blank_mm + chance.normal(0.1) - (planned_mm + needs_mm + grown);
            let got_mm = came_out
                .measures()
                .into_iter()
                .filter(|one| one.kind == Measures::Inside)
                .map(|one| (one.key, one.mm + chance.normal(0.03)))
                .collect();
            trials.push(Trial { blank_mm, over_mm: over_mm + chance.normal(0.1), got_mm });
            let told = next(&request, &trials, &workshop).unwrap();
            blank_mm = told.blank_mm;
            if !told.marks.is_empty() {
                slid = chance.normal(0.1);
            }
        }
        all += 1;
        let told = next(&request, &trials, &workshop).unwrap();
        right += u32::from((told.exact_mm - planned_mm - needs_mm).abs() <= GOOD_MM);
        // The ruler's half millimetre may be added, no more.
        assert!((0.0..0.5 + 1e-9).contains(&(told.blank_mm - told.exact_mm)));
    }
    assert!(f64::from(right) >= 0.95 * f64::from(all), "{right} of {all}");
}

/// How much more wire the loops of a piece take as they came out.
fn grown_mm(
    request: &PatternRequest,
    drawn: &[lorimant_core::pattern::measure::Measure],
    came_out: &[lorimant_core::pattern::measure::Measure],
) -> f64 {
    let mut larger = request.clone();
    for (a, b) in drawn.iter().zip(came_out) {
        let parameter =
            request.kind.0.parameter(&a.key).filter(|p| p.unit == Unit::Mm && a.kind == Measures::Inside);
        if let Some(parameter) = parameter {
            let value = request.value(parameter.name) + b.mm - a.mm;
            larger.parameters.insert(parameter.name.to_owned(), value.clamp(parameter.min, parameter.max));
        }
    }
    larger.form().map_or(0.0, |formed| formed.developed_mm() - request.form().unwrap().developed_mm())
}

#[rstest]
fn an_accepted_trial_is_cut_by_the_plan() {
    let workshop = tapered();
    let request = usual("hook-clasp");
    let before = request.form().unwrap().blank(LengthUnit::Mm).flush_exact_mm();
    let trial = Trial { blank_mm: before, over_mm: -1.5, ..Trial::default() };
    let told = next(&request, &[trial], &workshop).unwrap();
    assert!((told.request.allowance_mm - 1.5).abs() < 0.006);
    let formed = told.request.form().unwrap();
    let blank = formed.blank(LengthUnit::Mm);
    assert!((blank.flush_mm - told.blank_mm).abs() < 1e-9, "the plan cuts what the trial said");
    let made = formed.made(&Changes::default(), &workshop).unwrap();
    assert!(
        made.steps.iter().any(|step| step
            .hint
            .as_deref()
            .is_some_and(|hint| hint.contains("Your trials showed it needs")))
    );
    // Copper carried to silver of twice the thickness.
    let wire = Wire::round(Metal::SterlingSilver, 2.0 * request.wire.size_mm, Temper::HalfHard);
    let silver = told.request.transferred(&wire, &Workshop::default()).unwrap();
    assert!((silver.request.allowance_mm - 3.0).abs() < 0.02);
    assert!(
        silver.differences.iter().any(|text| text.contains("What your trials showed is kept: its blank is"))
    );
}

#[rstest]
fn a_later_trial_moves_its_mark_from_where_it_lay() {
    let hook = usual("hook-clasp");
    let large = Trial {
        blank_mm: 60.0,
        got_mm: BTreeMap::from([("eye_mm".into(), hook.value("eye_mm") + 0.6)]),
        ..Trial::default()
    };
    let marks = |trials: &[Trial]| next(&hook, trials, &tapered()).unwrap().marks.join(" ");
    let (first, second) = (marks(std::slice::from_ref(&large)), marks(&[large.clone(), large.clone()]));
    assert!(first.contains("from the tip"), "the first was rolled at the planned place: {first}");
    assert!(second.contains("nearer the tip than this one") && !second.contains("from the tip"), "{second}");
}

/// No mark is said that the jaw does not have.
#[test]
fn no_mark_lies_past_the_tip() {
    let hook = usual("hook-clasp");
    let far = BTreeMap::from([("eye_mm".into(), hook.value("eye_mm") + 6.0)]);
    let marks =
        next(&hook, &[Trial { blank_mm: 60.0, got_mm: far, ..Trial::default() }], &tapered()).unwrap().marks;
    assert_eq!(marks.len(), 1, "{marks:?}");
    assert!(
        marks[0].contains(
            "the jaw is not that thin even at its tip: use another, or calibrate it with two loops"
        ) && !marks[0].contains(" from the tip"),
        "{marks:?}"
    );
}

/// What trials have shown of a blank is not seen on the piece: the shelf still covers an order.
#[rstest]
fn an_accepted_trial_is_the_same_piece_in_the_hand() {
    let hook = usual("hook-clasp");
    let longer = PatternRequest { allowance_mm: 1.2, ..hook.clone() };
    assert!(Piece::Finding(hook).same_in_hand(&Piece::Finding(longer), &Workshop::default()));
}

#[rstest]
fn steps_are_told_in_the_makers_own() {
    let request = usual("hook-clasp");
    let inch = Workshop { habits: Habits { unit: LengthUnit::Inch, ..Habits::default() }, ..tapered() };
    let planned = request.form().unwrap().blank(LengthUnit::Inch).flush_exact_mm();
    let marks = (planned / 25.4 * 32.0).ceil() / 32.0 * 25.4;
    let trial = Trial { blank_mm: marks, over_mm: -0.5, ..Trial::default() };
    let told = next(&request, &[trial], &inch).unwrap();
    assert_eq!(told.steps, 1, "{told:?}");
    assert!(told.text.contains("a thirty-second longer"), "{}", told.text);
}

#[rstest]
fn a_trial_needs_lengths() {
    let request = usual("hook-clasp");
    assert!(next(&request, &[], &tapered()).is_err());
    let faults = next(&request, &[Trial { blank_mm: f64::NAN, ..Trial::default() }], &tapered()).unwrap_err();
    assert_eq!(faults.0[0].field, "trials[0].blank_mm");
}
