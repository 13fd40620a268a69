//! What a piece that went wrong can still become.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{tapered, usual};
use lorimant_core::learn::dimension::{CheckedOf, Verdict, to_measure};
use lorimant_core::learn::rescue::{KeptOne, Rescue, Rescues, WentWrong, Wrong, rescued};
use lorimant_core::making::{Changes, Operation};
use lorimant_core::pattern::PatternRequest;
use lorimant_core::piece::Piece;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::words::length::LengthUnit;
use rstest::rstest;
use std::collections::BTreeMap;

#[rstest]
#[case("hook-clasp", Wrong::CutShort, 3.0)]
#[case("open-ear-wire", Wrong::CutShort, 4.0)]
#[case("spiral-hook", Wrong::SpiralLoose, 0.3)]
#[case("spiral-hook", Wrong::EndStarved, 5.0)]
#[case("coil-cap", Wrong::TurnsLifted, 2.0)]
#[case("hook-clasp", Wrong::EyeLarge, 1.0)]
#[case("wrapped-loop-link", Wrong::CutShort, 6.0)]
fn what_is_offered_can_be_made_of_what_there_is(#[case] kind: &str, #[case] wrong: Wrong, #[case] by: f64) {
    let request = usual(kind);
    let workshop = tapered();
    let rescues =
        rescued(&request, WentWrong { wrong, amount: by, at_step_n: None }, &[], &workshop).unwrap();
    assert!(!rescues.options.is_empty(), "{kind} {wrong}");
    for option in &rescues.options {
        let formed = option.request.form().unwrap().by(workshop.methods);
        let flush = formed.blank(LengthUnit::Mm).flush_exact_mm();
        assert!(flush <= rescues.wire_mm + 1e-6, "{}: {flush} of {}", option.text, rescues.wire_mm);
        assert!((flush - option.blank_mm).abs() < 1e-9);
        assert!(!option.drawing.shapes.is_empty());
    }
    assert!(rescues.scrap.contains(" g"));
}

#[rstest]
fn a_large_eye_stays_as_large_as_it_is() {
    let request = usual("hook-clasp");
    let rescues = rescued(
        &request,
        WentWrong { wrong: Wrong::EyeLarge, amount: 1.0, at_step_n: None },
        &[],
        &tapered(),
    )
    .unwrap();
    let eye = request.value("eye_mm") + 1.0;
    assert!(
        rescues
            .options
            .iter()
            .all(|one| (one.request.value("eye_mm") - eye).abs() < 1e-9 || one.text.contains("eye"))
    );
    // Its wire is what the planned piece had.
    assert!((rescues.wire_mm - request.form().unwrap().blank(LengthUnit::Mm).flush_exact_mm()).abs() < 1e-9);
}

#[rstest]
fn another_of_the_kept_patterns_is_offered_where_it_fits() {
    let request = usual("hook-clasp");
    let small = PatternRequest { wire: request.wire.clone(), ..usual("eye-pin") };
    let other =
        PatternRequest { wire: Wire::round(Metal::Copper, 0.5, Temper::Soft), ..usual("figure-eight") };
    let kept = [
        KeptOne { id: 7, name: "small pin".to_owned(), request: small },
        KeptOne { id: 8, name: "thin eight".to_owned(), request: other },
    ];
    let rescues = rescued(
        &request,
        WentWrong { wrong: Wrong::CutShort, amount: 2.0, at_step_n: None },
        &kept,
        &tapered(),
    )
    .unwrap();
    let offered: Vec<i64> = rescues.options.iter().filter_map(|one| one.saved).collect();
    let fits = kept[0].request.form().unwrap().blank(LengthUnit::Mm).flush_exact_mm() <= rescues.wire_mm;
    assert_eq!(offered, if fits { vec![7] } else { vec![] }, "never in another wire");
}

fn short_at(request: &PatternRequest, at_step_n: Option<usize>, kept: &[KeptOne]) -> Rescues {
    let mishap = WentWrong { wrong: Wrong::CutShort, amount: 3.0, at_step_n };
    rescued(request, mishap, kept, &tapered()).unwrap()
}

/// The step after which a segment has its shape, by its place in the route.
fn step_of(request: &PatternRequest, operation: Operation) -> usize {
    let made = request.form().unwrap().made(&Changes::default(), &tapered()).unwrap();
    made.steps.iter().position(|step| step.operation == operation).unwrap() + 1
}

/// What is bent already stays as it is where it can; where it cannot, it is said what has to be straightened.
#[test]
fn a_rescue_keeps_what_is_bent() {
    let hook = usual("hook-clasp");
    let eye = step_of(&hook, Operation::Loop);
    let straight = short_at(&hook, Some(0), &[]);
    assert!(straight.options.iter().all(|one| !one.text.contains("traighten")), "nothing is bent yet");
    let rolled = short_at(&hook, Some(eye), &[]);
    let smaller = |rescues: &Rescues| -> Vec<bool> {
        let changes_eye = |one: &Rescue| (one.request.value("eye_mm") - hook.value("eye_mm")).abs() > 1e-9;
        rescues
            .options
            .iter()
            .filter(|one| changes_eye(one))
            .map(|one| one.text.contains("Straighten the"))
            .collect()
    };
    assert!(smaller(&straight).iter().all(|straightens| !straightens));
    assert!(
        !smaller(&rolled).is_empty() && smaller(&rolled).iter().all(|straightens| *straightens),
        "{rolled:?}"
    );
    // What leaves it as it is comes first.
    let last_kept = rolled.options.iter().rposition(|one| !one.text.contains("Straighten"));
    let first_undone = rolled.options.iter().position(|one| one.text.contains("Straighten"));
    assert!(last_kept < first_undone, "{rolled:?}");
}

/// Bent wire is straightened for another piece as long as the metal bears that: soft copper does, spring-hard brass breaks.
#[rstest]
#[case(Metal::Copper, Temper::Soft, true)]
#[case(Metal::Brass, Temper::Spring, false)]
fn bent_wire_becomes_another_piece_where_the_metal_bears_it(
    #[case] metal: Metal,
    #[case] temper: Temper,
    #[case] bears: bool,
) {
    let in_it = |kind: &str| {
        let usual = usual(kind);
        PatternRequest { wire: Wire::round(metal, usual.wire.size_mm, temper), ..usual }
    };
    let hook = in_it("hook-clasp");
    let pin = PatternRequest { wire: hook.wire.clone(), ..in_it("eye-pin") };
    let pin = PatternRequest { parameters: BTreeMap::from([("stem_mm".to_owned(), 20.0)]), ..pin };
    let kept = [KeptOne { id: 7, name: "Stage pins".into(), request: pin }];
    let told = |at_step_n| {
        let options = short_at(&hook, at_step_n, &kept).options;
        options.into_iter().find(|one| one.saved == Some(7)).map(|one| one.text)
    };
    assert!(
        told(Some(0)).is_some_and(|told| told.starts_with("Make your Stage pins from it")),
        "{:?}",
        told(Some(0))
    );
    let bent = told(Some(step_of(&hook, Operation::Loop)));
    assert_eq!(bent.is_some_and(|told| told.starts_with("Straighten it. Make your Stage pins")), bears);
}

#[test]
fn a_step_that_is_none_is_refused() {
    let mishap = WentWrong { wrong: Wrong::CutShort, amount: 3.0, at_step_n: Some(99) };
    let faults = rescued(&usual("hook-clasp"), mishap, &[], &tapered()).unwrap_err();
    assert_eq!(faults.0[0].field, "at_step_n");
    assert!(faults.0[0].message.contains("there is no step 99"), "{faults}");
}

/// A blank that trials have shown to take more takes more of what is left, too.
#[rstest]
fn a_rescue_counts_what_trials_have_shown() {
    let hook = usual("hook-clasp");
    let tried = PatternRequest { allowance_mm: 1.5, ..hook.clone() };
    let of = |request: &PatternRequest| {
        let mishap = WentWrong { wrong: Wrong::CutShort, amount: 3.0, at_step_n: None };
        rescued(request, mishap, &[], &tapered()).unwrap()
    };
    assert!((of(&tried).wire_mm - of(&hook).wire_mm - 1.5).abs() < 1e-9);
    let small = PatternRequest { wire: hook.wire.clone(), ..usual("eye-pin") };
    let flush_mm = small.form().unwrap().by(tapered().methods).blank(LengthUnit::Mm).flush_exact_mm();
    let left_mm = of(&hook).wire_mm;
    let offered = |allowance_mm: f64| {
        let kept =
            KeptOne { id: 7, name: "pin".into(), request: PatternRequest { allowance_mm, ..small.clone() } };
        let mishap = WentWrong { wrong: Wrong::CutShort, amount: 3.0, at_step_n: None };
        rescued(&hook, mishap, &[kept], &tapered()).unwrap().options.iter().any(|one| one.saved.is_some())
    };
    // Just too much, and just not.
    assert!(offered(left_mm - flush_mm - 0.1) && !offered(left_mm - flush_mm + 0.1));
}

#[rstest]
#[case("eye-pin", Wrong::SpiralLoose, 0.3, "has no spiral")]
#[case("hook-clasp", Wrong::CutShort, 0.0, "what is missing")]
#[case("hook-clasp", Wrong::CutShort, f64::NAN, "what is missing")]
#[case("hook-clasp", Wrong::TurnsLifted, 2.0, "has no turn")]
#[case("hook-clasp", Wrong::EyeLarge, 19.9, "a hook clasp can have")]
fn a_mishap_that_cannot_be_is_said(
    #[case] kind: &str,
    #[case] wrong: Wrong,
    #[case] by: f64,
    #[case] says: &str,
) {
    let faults =
        rescued(&usual(kind), WentWrong { wrong, amount: by, at_step_n: None }, &[], &tapered()).unwrap_err();
    assert!(faults.0[0].message.contains(says), "{faults}");
}

/// Each is put right the way it was made: a gap is shut however wide, a bend is bent on another tool, a ball is drawn anew.
#[rstest]
#[case(
    "hook-clasp",
    "gap-eye",
    0.7,
    Verdict::Rework,
    "Open it sideways, go a little past, come back until the ends meet. It is"
)]
#[case("hook-clasp", "bend_mm", 0.6, Verdict::Rework, "thinner")]
#[case("open-ear-wire", "crown_mm", -0.6, Verdict::Rework, "thicker")]
#[case("round-ring", "inside_mm", 0.4, Verdict::Rework, "on a tool about")]
#[case("open-ear-wire", "loop_mm", 0.4, Verdict::Rework, "nearer the tip of the jaw")]
#[case("balled-head-pin", "ball_mm", -0.4, Verdict::Rework, "tongs")]
#[case("balled-head-pin", "ball_mm", 0.4, Verdict::Reject, "cannot shrink")]
fn put_right_as_it_is_made(
    #[case] kind: &str,
    #[case] key: &str,
    #[case] off: f64,
    #[case] verdict: Verdict,
    #[case] says: &str,
) {
    let piece = Piece::Finding(usual(kind));
    let (list, _) = to_measure(&piece, CheckedOf::Piece, &tapered()).unwrap();
    let one = list.iter().find(|one| one.key == key).unwrap();
    let judged = one.judge(one.wanted + off, &piece, &tapered());
    assert_eq!(judged.verdict, verdict, "{}", judged.text);
    assert!(judged.text.contains(says), "{}", judged.text);
    assert!(key != "ball_mm" || one.how.starts_with("Outer jaws"), "{}", one.how);
}

/// A table of mishaps, each with what a maker would take first, written before it was looked what is offered.
#[test]
fn what_a_maker_would_take_first_is_offered_first() {
    let table = include_str!("tables/mishaps.tsv");
    let mut other = vec![];
    let mut all = 0;
    for line in table.lines().filter(|line| !line.starts_with('#')) {
        let cells: Vec<&str> = line.split('\t').collect();
        let [kind, wrong, amount, after, wanted] = cells[..] else { panic!("{line}") };
        let (kind, hammered) = kind.split_once(' ').map_or((kind, false), |(kind, _)| (kind, true));
        let mut request = usual(kind);
        if hammered {
            let thin = 0.8 * request.wire.size_mm;
            request.parameters.insert("hammered_mm".to_owned(), thin);
        }
        let at_step_n = match after {
            "-" => None,
            operation => Some(step_of(&request, operation.parse().unwrap())),
        };
        let mishap = WentWrong { wrong: wrong.parse().unwrap(), amount: amount.parse().unwrap(), at_step_n };
        let rescues = rescued(&request, mishap, &[], &tapered()).unwrap();
        let first = rescues.options.first().map_or("nothing", |one| one.text.as_str()).to_lowercase();
        let is = |words: &str| {
            let words =
                words.strip_prefix("the ").map_or(words.to_lowercase(), |label| format!("make the {label} "));
            first.contains(&words)
        };
        all += 1;
        if !wanted.split('|').any(is) {
            let offered: Vec<&str> = rescues.options.iter().map(|one| one.text.as_str()).collect();
            other.push(format!("{line}: {offered:#?}"));
        }
    }
    assert!(all >= 60, "{all}");
    assert!(other.is_empty(), "{} of {all}:\n{}", other.len(), other.join("\n"));
}
