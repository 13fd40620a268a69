//! Checking what was made: pairs against brute force, causes that were planted, trials that converge, rescues that can be
//! made, instruments' lines.
#![allow(clippy::unwrap_used, clippy::panic, missing_docs)]

use std::collections::BTreeMap;

use lorimant_core::chance::Chance;
use lorimant_core::learn::cause::{Cause, causes};
use lorimant_core::learn::chart::charted;
use lorimant_core::learn::check::{PieceCheck, TrialBlank};
use lorimant_core::learn::dimension::{CheckedOf, Verdict, to_measure};
use lorimant_core::learn::jaw::{RolledLoop, calibrated, seen_on, wear};
use lorimant_core::learn::measured::{CaliperReading, ReadFrom};
use lorimant_core::learn::pairs::{MeasuredPiece, matched};
use lorimant_core::learn::reading::{read_line, read_typed};
use lorimant_core::learn::rescue::{KeptOne, Rescue, Rescues, WentWrong, Wrong, rescued};
use lorimant_core::learn::spread::{Readings, Source, learned};
use lorimant_core::learn::trial::{GOOD_MM, Trial, next};
use lorimant_core::making::{Changes, Operation};
use lorimant_core::pattern::measure::Measures;
use lorimant_core::pattern::slipped::Slips;
use lorimant_core::pattern::{Kind, PatternRequest, Unit};
use lorimant_core::piece::Piece;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::coil::outline_for;
use lorimant_core::tool::hand::Hand;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::outline::Outline;
use lorimant_core::tool::plier::Plier;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::bending::Bending;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::words::length::{Habits, LengthUnit};
use proptest::prelude::*;
use rstest::rstest;

use crate::common::usual;

/// A workshop with a tapered plier that suits loops of three millimetres.
fn workshop() -> Workshop {
    let plier: Plier = serde_json::from_str(
        r#"{"name": "slim round-nose", "jaws": "round-nose", "tip_mm": 1.2, "base_mm": 6.5, "length_mm": 28}"#,
    )
    .unwrap();
    Workshop { pliers: vec![plier], ..Workshop::default() }
}

// --- pairs

fn pieces(values: &[Vec<f64>]) -> Vec<MeasuredPiece> {
    let numbered = values.iter().zip(1..);
    numbered.map(|(mm, piece_n)| MeasuredPiece { piece_n, mm: mm.clone() }).collect()
}

fn apart(pieces: &[MeasuredPiece], tolerance: &[f64], set: &[u32]) -> f64 {
    let of = |n: &u32, d: usize| pieces[*n as usize - 1].mm[d] / tolerance[d];
    (0..tolerance.len())
        .map(|d| {
            let all: Vec<f64> = set.iter().map(|n| of(n, d)).collect();
            all.iter().copied().fold(f64::MIN, f64::max) - all.iter().copied().fold(f64::MAX, f64::min)
        })
        .fold(0.0, f64::max)
}

/// The least sum there is, by trying every way.
fn brute_force(pieces: &[MeasuredPiece], tolerance: &[f64], left: Vec<u32>, may_leave: bool) -> f64 {
    let Some((first, rest)) = left.split_first() else { return 0.0 };
    let without = |other: u32| rest.iter().copied().filter(|n| *n != other).collect::<Vec<_>>();
    let paired = rest.iter().map(|other| {
        apart(pieces, tolerance, &[*first, *other])
            + brute_force(pieces, tolerance, without(*other), may_leave)
    });
    let best = paired.fold(f64::INFINITY, f64::min);
    if may_leave { best.min(brute_force(pieces, tolerance, rest.to_vec(), false)) } else { best }
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(200))]

    #[test]
    fn pairs_are_as_alike_as_any_way_makes_them(
        n in 2..9_usize,
        dimensions in 1..4_usize,
        seed in any::<u64>(),
    ) {
        let mut chance = Chance::of(seed);
        let values: Vec<Vec<f64>> =
            (0..n).map(|_| (0..dimensions).map(|_| 20.0 + chance.normal(0.3)).collect()).collect();
        let tolerance = vec![0.3; dimensions];
        let all = pieces(&values);
        let found = matched(&all, &tolerance, 2).unwrap();
        let sum: f64 = found.sets.iter().map(|set| set.mismatch).sum();
        let numbers: Vec<u32> = all.iter().map(|piece| piece.piece_n).collect();
        let least = brute_force(&all, &tolerance, numbers.clone(), n % 2 == 1);
        prop_assert!((sum - least).abs() < 1e-9, "{sum} {least}");
        prop_assert!(found.least);
        // Each piece once, in a pair or left over.
        let mut seen: Vec<u32> = found.sets.iter().flat_map(|set| set.pieces_n.clone()).chain(found.left_over_n).collect();
        seen.sort_unstable();
        prop_assert_eq!(seen, numbers);
        for set in &found.sets {
            prop_assert!((set.mismatch - apart(&all, &tolerance, &set.pieces_n)).abs() < 1e-9);
        }
    }

    #[test]
    fn many_pieces_of_several_dimensions_are_matched_well(seed in any::<u64>(), n in 15..80_usize, size in 2..5_usize) {
        let mut chance = Chance::of(seed);
        let values: Vec<Vec<f64>> = (0..n).map(|_| vec![20.0 + chance.normal(0.3), 3.0 + chance.normal(0.1)]).collect();
        let all = pieces(&values);
        let found = matched(&all, &[0.3, 0.1], size).unwrap();
        prop_assert_eq!(found.left_over_n.len(), n % size);
        let mut seen: Vec<u32> = found.sets.iter().flat_map(|set| set.pieces_n.clone()).collect();
        seen.sort_unstable();
        seen.dedup();
        prop_assert_eq!(seen.len(), n - n % size);
        // No worse than pieces put together as they came.
        let as_they_came: f64 =
            (0..n / size).map(|i| apart(&all, &[0.3, 0.1], &(0..size).map(|k| (i * size + k + 1) as u32).collect::<Vec<_>>())).sum();
        prop_assert!(found.sets.iter().map(|set| set.mismatch).sum::<f64>() <= as_they_came + 1e-9);
    }
}

#[rstest]
fn who_is_left_over_spoils_no_pair() {
    // The middle one belongs to nobody.
    let all = pieces(&[vec![20.0], vec![20.05], vec![20.5], vec![21.0], vec![21.05]]);
    let found = matched(&all, &[0.4], 2).unwrap();
    assert_eq!(found.left_over_n, [3]);
    assert!(found.sets.iter().all(|set| set.passes && set.mismatch_mm < 0.06));
    // Sets of three along one dimension.
    let three =
        matched(&pieces(&[vec![1.0], vec![5.0], vec![1.1], vec![5.2], vec![5.1], vec![1.2]]), &[0.4], 3)
            .unwrap();
    let mut sets: Vec<Vec<u32>> = three
        .sets
        .iter()
        .map(|set| {
            let mut n = set.pieces_n.clone();
            n.sort_unstable();
            n
        })
        .collect();
    sets.sort();
    assert_eq!(sets, [[1, 3, 6], [2, 4, 5]]);
}

#[rstest]
#[case(&[vec![1.0, 2.0], vec![1.0]], &[0.3, 0.3], 2, "1 measurements where 2")]
#[case(&[vec![1.0], vec![f64::NAN]], &[0.3], 2, "Measure what is missing")]
#[case(&[vec![1.0], vec![1.0]], &[0.0], 2, "above 0 mm")]
#[case(&[vec![1.0], vec![1.0]], &[0.3], 1, "Ask for 2 to 12")]
fn what_cannot_be_matched_is_said(
    #[case] values: &[Vec<f64>],
    #[case] tolerance: &[f64],
    #[case] size: usize,
    #[case] says: &str,
) {
    let faults = matched(&pieces(values), tolerance, size).unwrap_err();
    assert!(faults.0[0].sentence.contains(says), "{faults}");
}

// --- causes

/// Patterns whose causes are looked for, each with all its dimensions measured.
const PATTERNS: [&str; 5] = ["hook-clasp", "open-ear-wire", "eye-pin", "s-clasp", "spiral-hook"];

/// What a piece with one fault in it measures, hands and caliper being uneven as they are.
fn planted(
    request: &PatternRequest,
    slips: &Slips,
    chance: &mut Chance,
    workshop: &Workshop,
) -> BTreeMap<String, f64> {
    let formed = request.form().unwrap().by(workshop.schools);
    let made = formed.made(&Changes::default(), workshop).unwrap();
    let spread = |kind| match kind {
        Measures::Inside | Measures::Bend | Measures::Ball => 0.04,
        Measures::Length => 0.12,
        Measures::Gap => 0.02,
        Measures::Wire => 0.004,
    };
    let uneven = |measure: lorimant_core::pattern::measure::Measure| {
        (measure.key, (measure.mm + chance.normal(spread(measure.kind))).max(0.0))
    };
    formed.slipped(&made, slips).measures().into_iter().map(uneven).collect()
}

fn one_fault(cause: Cause, amount: f64) -> Slips {
    match cause {
        Cause::Mark => Slips { mark_mm: amount, ..Slips::default() },
        Cause::Centre => Slips { centre_mm: amount, ..Slips::default() },
        Cause::Blank => Slips { blank_mm: amount, ..Slips::default() },
        Cause::Open => Slips { open_deg: amount.abs(), ..Slips::default() },
        Cause::Wire => Slips { size: 1.0 + amount, ..Slips::default() },
        Cause::Harder => Slips { flow: 1.0 + amount, ..Slips::default() },
        Cause::Rod => Slips::default(),
    }
}

#[rstest]
fn planted_causes_are_found() {
    let workshop = workshop();
    let mut chance = Chance::of(11);
    let (mut right, mut all, mut wrongly_sure) = (0, 0, 0);
    let mut missed: BTreeMap<String, u32> = BTreeMap::new();
    for i in 0..240_u32 {
        let request = usual(PATTERNS[i as usize % PATTERNS.len()]);
        let way = if chance.share() < 0.5 { -1.0 } else { 1.0 };
        let (cause, amount) = match i % 6 {
            0 => (Cause::Mark, way * chance.between(1.0, 2.5)),
            1 => (Cause::Centre, way * chance.between(0.8, 2.0)),
            2 => (Cause::Blank, way * chance.between(0.9, 2.5)),
            3 => (Cause::Open, chance.between(15.0, 40.0)),
            4 => (Cause::Wire, way * chance.between(0.05, 0.15)),
            _ => (Cause::Harder, way * chance.between(0.5, 0.9)),
        };
        // What a pattern has not cannot be planted in it: an eye pin has no large bend.
        let exactly = planted(&request, &one_fault(cause, amount), &mut Chance::of(0), &workshop);
        let whole = planted(&request, &Slips::default(), &mut Chance::of(0), &workshop);
        if exactly.iter().zip(&whole).all(|(a, b)| (a.1 - b.1).abs() < 0.15) {
            continue;
        }
        let measured = planted(&request, &one_fault(cause, amount), &mut chance, &workshop);
        let misfit =
            causes(&Piece::Finding(request.clone()), CheckedOf::Piece, &measured, &workshop).unwrap();
        all += 1;
        match misfit.causes.first() {
            Some(first) if first.cause == cause => right += 1,
            other => {
                wrongly_sure += u32::from(misfit.sure);
                *missed
                    .entry(format!("{} {cause} as {:?}", request.kind.0.kind, other.map(|o| o.cause)))
                    .or_default() += 1;
            }
        }
    }
    assert!(all > 150, "{all}");
    assert!(f64::from(right) >= 0.9 * f64::from(all), "{right} of {all}: {missed:#?}");
    assert!(f64::from(wrongly_sure) <= 0.03 * f64::from(all), "{wrongly_sure} surely wrong: {missed:#?}");
}

/// A short stem is a blank cut short, or a loop that took more of it: with the loop unmeasured nothing tells them apart.
#[rstest]
fn two_causes_alike_are_not_told_apart_without_the_measurement_that_would() {
    let workshop = workshop();
    let pin = Piece::Finding(usual("eye-pin"));
    let (list, _) = to_measure(&pin, CheckedOf::Piece, &workshop).unwrap();
    let wanted = |key: &str| list.iter().find(|one| one.key == key).unwrap().wanted;
    let mut measured = BTreeMap::from([
        ("stem_mm".to_owned(), wanted("stem_mm") - 0.9),
        ("wire".to_owned(), wanted("wire")),
    ]);
    let misfit = causes(&pin, CheckedOf::Piece, &measured, &workshop).unwrap();
    let named: Vec<Cause> = misfit.causes.iter().map(|one| one.cause).collect();
    assert!(!misfit.sure && named.contains(&Cause::Blank) && named.contains(&Cause::Mark), "{misfit:?}");
    assert_eq!(misfit.measure_next.as_deref(), Some("loop_mm"), "{misfit:?}");
    // Once that is measured, it is told.
    measured.insert("loop_mm".to_owned(), wanted("loop_mm"));
    assert_eq!(causes(&pin, CheckedOf::Piece, &measured, &workshop).unwrap().causes[0].cause, Cause::Blank);
    measured.insert("loop_mm".to_owned(), wanted("loop_mm") + 0.3);
    assert_eq!(causes(&pin, CheckedOf::Piece, &measured, &workshop).unwrap().causes[0].cause, Cause::Mark);
}

#[rstest]
fn an_even_piece_has_no_cause() {
    let workshop = workshop();
    let hook = Piece::Finding(usual("hook-clasp"));
    let (list, _) = to_measure(&hook, CheckedOf::Piece, &workshop).unwrap();
    let measured =
        list.iter().filter(|one| one.kind.is_some()).map(|one| (one.key.clone(), one.wanted)).collect();
    let misfit = causes(&hook, CheckedOf::Piece, &measured, &workshop).unwrap();
    assert!(misfit.causes.is_empty() && misfit.told.contains("as even as hands"), "{misfit:?}");
    assert!(causes(&hook, CheckedOf::Piece, &BTreeMap::new(), &workshop).is_err());
}

/// Rings too large by the same: the rod, the wire's hardness or its size; the wire measured rules its size out.
#[rstest]
fn rings_that_are_all_large() {
    let wire = Wire::round(Metal::StainlessSteel, 0.8, Temper::HalfHard);
    let rings = Piece::Rings(RingRequest::new(wire, Mandrel::round(6.0), 30));
    let workshop = Workshop::default();
    let (list, _) = to_measure(&rings, CheckedOf::Piece, &workshop).unwrap();
    let wanted = list[0].wanted;
    let measured = BTreeMap::from([("ring-inside".to_owned(), wanted + 0.15), ("wire".to_owned(), 0.8)]);
    let misfit = causes(&rings, CheckedOf::Piece, &measured, &workshop).unwrap();
    let named: Vec<Cause> = misfit.causes.iter().map(|one| one.cause).collect();
    assert!(named.contains(&Cause::Harder) && named.contains(&Cause::Rod) && !misfit.sure, "{misfit:?}");
}

// --- trials

/// A maker whose bends take more wire than they should, and whose mark is a little off: tries a pattern until it is right.
#[rstest]
fn trials_come_right_within_three_blanks() {
    let workshop = workshop();
    let mut chance = Chance::of(5);
    let (mut right, mut all) = (0, 0);
    for i in 0..200_u32 {
        let request = usual(PATTERNS[i as usize % PATTERNS.len()]);
        let needs_mm = chance.normal(2.0);
        let planned = request.form().unwrap().by(workshop.schools);
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
    let workshop = workshop();
    let request = usual("hook-clasp");
    let before = request.form().unwrap().blank(LengthUnit::Mm).flush_exact_mm();
    let trial = Trial { blank_mm: before, over_mm: -1.5, ..Trial::default() };
    let told = next(&request, &[trial], &workshop).unwrap();
    assert!((told.request.allowance_mm - 1.5).abs() < 0.006);
    let formed = told.request.form().unwrap();
    let blank = formed.blank(LengthUnit::Mm);
    assert!((blank.flush_mm - told.blank_mm).abs() < 1e-9, "the plan cuts what the trial said");
    let made = formed.made(&Changes::default(), &workshop).unwrap();
    assert!(made.steps.iter().any(|step| step.text.contains("trials have shown")));
    // Copper carried to silver of twice the thickness.
    let wire = Wire::round(Metal::SterlingSilver, 2.0 * request.wire.size_mm, Temper::HalfHard);
    let silver = told.request.transferred(&wire, LengthUnit::Mm).unwrap();
    assert!((silver.request.allowance_mm - 3.0).abs() < 0.02);
    assert!(silver.differences.iter().any(|said| said.contains("goes along")));
}

#[rstest]
fn a_later_trial_moves_its_mark_from_where_it_lay() {
    let hook = usual("hook-clasp");
    let large = Trial {
        blank_mm: 60.0,
        got_mm: BTreeMap::from([("eye_mm".into(), hook.value("eye_mm") + 0.6)]),
        ..Trial::default()
    };
    let marks = |trials: &[Trial]| next(&hook, trials, &workshop()).unwrap().marks.join(" ");
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
        next(&hook, &[Trial { blank_mm: 60.0, got_mm: far, ..Trial::default() }], &workshop()).unwrap().marks;
    assert_eq!(marks.len(), 1, "{marks:?}");
    assert!(
        marks[0].contains("not so thin even at its tip") && !marks[0].contains(" from the tip"),
        "{marks:?}"
    );
}

/// What trials have shown of a blank is not seen on the piece: the shelf still covers an order.
#[rstest]
fn an_accepted_trial_is_the_same_piece_in_the_hand() {
    let hook = usual("hook-clasp");
    let longer = PatternRequest { allowance_mm: 1.2, ..hook.clone() };
    assert!(Piece::Finding(hook).same_in_hand(&Piece::Finding(longer)));
}

#[rstest]
fn steps_are_told_in_the_makers_own() {
    let request = usual("hook-clasp");
    let inch = Workshop { habits: Habits { unit: LengthUnit::Inch, ..Habits::default() }, ..workshop() };
    let planned = request.form().unwrap().blank(LengthUnit::Inch).flush_exact_mm();
    let sixteenths = (planned / 25.4 * 16.0).ceil() / 16.0 * 25.4;
    let trial = Trial { blank_mm: sixteenths, over_mm: -1.0, ..Trial::default() };
    let told = next(&request, &[trial], &inch).unwrap();
    assert_eq!(told.steps, 1, "{told:?}");
    assert!(told.told.contains("a sixteenth longer"), "{}", told.told);
}

#[rstest]
fn a_trial_needs_lengths() {
    let request = usual("hook-clasp");
    assert!(next(&request, &[], &workshop()).is_err());
    let faults =
        next(&request, &[Trial { blank_mm: f64::NAN, ..Trial::default() }], &workshop()).unwrap_err();
    assert_eq!(faults.0[0].field, "trials[0].blank_mm");
}

// --- rescue

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
    let workshop = workshop();
    let rescues = rescued(&request, WentWrong { wrong, by, at_step_n: None }, &[], &workshop).unwrap();
    assert!(!rescues.options.is_empty(), "{kind} {wrong}");
    for option in &rescues.options {
        let formed = option.request.form().unwrap().by(workshop.schools);
        let flush = formed.blank(LengthUnit::Mm).flush_exact_mm();
        assert!(flush <= rescues.wire_mm + 1e-6, "{}: {flush} of {}", option.told, rescues.wire_mm);
        assert!((flush - option.blank_mm).abs() < 1e-9);
        assert!(!option.drawing.shapes.is_empty());
    }
    assert!(rescues.scrap.contains(" g"));
}

#[rstest]
fn a_large_eye_stays_as_large_as_it_is() {
    let request = usual("hook-clasp");
    let rescues =
        rescued(&request, WentWrong { wrong: Wrong::EyeLarge, by: 1.0, at_step_n: None }, &[], &workshop())
            .unwrap();
    let eye = request.value("eye_mm") + 1.0;
    assert!(
        rescues
            .options
            .iter()
            .all(|one| (one.request.value("eye_mm") - eye).abs() < 1e-9 || one.told.contains("eye"))
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
    let rescues =
        rescued(&request, WentWrong { wrong: Wrong::CutShort, by: 2.0, at_step_n: None }, &kept, &workshop())
            .unwrap();
    let offered: Vec<i64> = rescues.options.iter().filter_map(|one| one.kept).collect();
    let fits = kept[0].request.form().unwrap().blank(LengthUnit::Mm).flush_exact_mm() <= rescues.wire_mm;
    assert_eq!(offered, if fits { vec![7] } else { vec![] }, "never in another wire");
}

fn short_at(request: &PatternRequest, at_step_n: Option<usize>, kept: &[KeptOne]) -> Rescues {
    let mishap = WentWrong { wrong: Wrong::CutShort, by: 3.0, at_step_n };
    rescued(request, mishap, kept, &workshop()).unwrap()
}

/// The step after which a segment has its shape, by its place in the route.
fn step_of(request: &PatternRequest, operation: Operation) -> usize {
    let made = request.form().unwrap().made(&Changes::default(), &workshop()).unwrap();
    made.steps.iter().position(|step| step.operation == operation).unwrap() + 1
}

/// What is bent already stays as it is where it can; where it cannot, it is said what has to be straightened.
#[test]
fn a_rescue_keeps_what_is_bent() {
    let hook = usual("hook-clasp");
    let eye = step_of(&hook, Operation::Loop);
    let straight = short_at(&hook, Some(0), &[]);
    assert!(straight.options.iter().all(|one| !one.told.contains("traighten")), "nothing is bent yet");
    let rolled = short_at(&hook, Some(eye), &[]);
    let smaller = |rescues: &Rescues| -> Vec<bool> {
        let changes_eye = |one: &Rescue| (one.request.value("eye_mm") - hook.value("eye_mm")).abs() > 1e-9;
        rescues
            .options
            .iter()
            .filter(|one| changes_eye(one))
            .map(|one| one.told.contains("Straighten the"))
            .collect()
    };
    assert!(smaller(&straight).iter().all(|straightens| !straightens));
    assert!(
        !smaller(&rolled).is_empty() && smaller(&rolled).iter().all(|straightens| *straightens),
        "{rolled:?}"
    );
    // What leaves it as it is comes first.
    let last_kept = rolled.options.iter().rposition(|one| !one.told.contains("Straighten"));
    let first_undone = rolled.options.iter().position(|one| one.told.contains("Straighten"));
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
        options.into_iter().find(|one| one.kept == Some(7)).map(|one| one.told)
    };
    assert!(
        told(Some(0)).is_some_and(|told| told.starts_with("Make your Stage pins of it")),
        "{:?}",
        told(Some(0))
    );
    let bent = told(Some(step_of(&hook, Operation::Loop)));
    assert_eq!(bent.is_some_and(|told| told.starts_with("Straighten it. Make your Stage pins")), bears);
}

#[test]
fn a_step_that_is_none_is_refused() {
    let mishap = WentWrong { wrong: Wrong::CutShort, by: 3.0, at_step_n: Some(99) };
    let faults = rescued(&usual("hook-clasp"), mishap, &[], &workshop()).unwrap_err();
    assert_eq!(faults.0[0].field, "at_step_n");
    assert!(faults.0[0].sentence.contains("there is no step 99"), "{faults}");
}

/// A blank that trials have shown to take more takes more of what is left, too.
#[rstest]
fn a_rescue_counts_what_trials_have_shown() {
    let hook = usual("hook-clasp");
    let tried = PatternRequest { allowance_mm: 1.5, ..hook.clone() };
    let of = |request: &PatternRequest| {
        let mishap = WentWrong { wrong: Wrong::CutShort, by: 3.0, at_step_n: None };
        rescued(request, mishap, &[], &workshop()).unwrap()
    };
    assert!((of(&tried).wire_mm - of(&hook).wire_mm - 1.5).abs() < 1e-9);
    let small = PatternRequest { wire: hook.wire.clone(), ..usual("eye-pin") };
    let flush_mm = small.form().unwrap().by(workshop().schools).blank(LengthUnit::Mm).flush_exact_mm();
    let left_mm = of(&hook).wire_mm;
    let offered = |allowance_mm: f64| {
        let kept =
            KeptOne { id: 7, name: "pin".into(), request: PatternRequest { allowance_mm, ..small.clone() } };
        let mishap = WentWrong { wrong: Wrong::CutShort, by: 3.0, at_step_n: None };
        rescued(&hook, mishap, &[kept], &workshop()).unwrap().options.iter().any(|one| one.kept.is_some())
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
        rescued(&usual(kind), WentWrong { wrong, by, at_step_n: None }, &[], &workshop()).unwrap_err();
    assert!(faults.0[0].sentence.contains(says), "{faults}");
}

/// Each is put right the way it was made: a gap is shut however wide, a bend is bent on another tool, a ball is drawn anew.
#[rstest]
#[case("hook-clasp", "gap-eye", 0.7, Verdict::Rework, "until the faces meet")]
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
    let (list, _) = to_measure(&piece, CheckedOf::Piece, &workshop()).unwrap();
    let one = list.iter().find(|one| one.key == key).unwrap();
    let judged = one.judge(one.wanted + off, &piece, &workshop());
    assert_eq!(judged.verdict, verdict, "{}", judged.told);
    assert!(judged.told.contains(says), "{}", judged.told);
    assert!(key != "ball_mm" || one.how.starts_with("Outer jaws"), "{}", one.how);
}

// --- charts, jaws, spread, lines

#[rstest]
fn a_run_is_seen_and_chance_is_not() {
    let mut chance = Chance::of(3);
    let mut said = 0;
    for _ in 0..200 {
        let even: Vec<(u32, f64)> = (1..=20).map(|n| (n, 5.0 + chance.normal(0.05))).collect();
        said += u32::from(!charted("ring", &even, (4.8, 5.2), LengthUnit::Mm).signs.is_empty());
    }
    assert!(said <= 20, "{said} of 200 even batches");
    let moved: Vec<(u32, f64)> =
        (1..=20).map(|n| (n, if n > 10 { 5.2 } else { 5.0 } + chance.normal(0.02))).collect();
    let chart = charted("ring", &moved, (4.8, 5.4), LengthUnit::Mm);
    assert!(chart.signs.iter().any(|sign| sign.told.contains("in a row")), "{chart:?}");
    let mut odd: Vec<(u32, f64)> = (1..=10).map(|n| (n, 5.0 + chance.normal(0.02))).collect();
    odd[6].1 = 5.6;
    let chart = charted("ring", &odd, (4.8, 5.4), LengthUnit::Mm);
    assert!(chart.signs.iter().any(|sign| sign.pieces_n == [7]), "{chart:?}");
}

/// Of so many that lie as the sample does, so many pass.
#[rstest]
#[case(0.05, "nearly all")]
// Student's t of ten differences within 1.915: 0.916.
#[case(0.1, "18 of 20")]
#[case(0.3, "of 20")]
fn how_many_more_would_pass(#[case] spread: f64, #[case] says: &str) {
    let z = [-1.6, -1.0, -0.7, -0.4, -0.2, 0.0, 0.2, 0.4, 0.7, 1.0, 1.6];
    let sd = (z.iter().map(|z| z * z).sum::<f64>() / 10.0_f64).sqrt();
    let all: Vec<(u32, f64)> = (1..).zip(z).map(|(n, z)| (n, 5.0 + spread * z / sd)).collect();
    let chart = charted("ring", &all, (4.8, 5.2), LengthUnit::Mm);
    assert!((chart.spread - spread).abs() < 1e-9);
    assert!(chart.would_pass.as_deref().unwrap().contains(says), "{:?}", chart.would_pass);
    assert_eq!(charted("ring", &all[..3], (4.8, 5.2), LengthUnit::Mm).would_pass, None);
}

/// The loop that a jaw leaves at a place, let go.
fn rolled(plier: &Plier, at_mm: f64, wire: &Wire) -> RolledLoop {
    let bending = Bending::of(wire);
    let c = wire.profile().centroid_mm();
    let made = plier.diameter_at(at_mm).unwrap() / 2.0 + c;
    let inside_mm = 2.0 * (made / bending.springback_ratio(made) - c);
    RolledLoop { at_mm, inside_mm, wire: wire.clone() }
}

/// Pieces that were measured for other reasons tell of the jaw they were rolled on: the slip that was planted in them.
#[rstest]
#[case("open-ear-wire", 0.8)]
#[case("hook-clasp", -0.6)]
#[case("eye-pin", 0.0)]
fn measured_pieces_tell_of_the_jaw_they_were_rolled_on(#[case] kind: &str, #[case] slip_mm: f64) {
    let (workshop, request) = (workshop(), usual(kind));
    let mut chance = Chance::of(7);
    let slips = Slips { mark_mm: slip_mm, ..Slips::default() };
    let readings: Vec<CaliperReading> = (1..=12)
        .flat_map(|piece_n| {
            let measured = planted(&request, &slips, &mut chance, &workshop);
            measured.into_iter().map(move |(key, value)| CaliperReading {
                reading_n: 0,
                piece_n,
                key,
                value,
                from: ReadFrom::Typed,
                at: String::new(),
                aside: false,
            })
        })
        .collect();
    let check = PieceCheck {
        name: "loops".into(),
        piece: Piece::Finding(request),
        of: CheckedOf::Piece,
        pieces_n: 12,
        keys: vec![],
        batch: None,
        pattern: None,
        off_spool_mm: None,
        trial: None,
        drill: None,
    };
    let loops = check.loops_seen(&readings, &workshop).unwrap();
    let seen = seen_on(&workshop.pliers[0], &loops, LengthUnit::Mm).unwrap();
    // Twelve loops, each uneven by 0.04 mm, which is about 0.2 mm on the jaw.
    assert!((seen.wear.off_mm - slip_mm).abs() < 0.2, "{seen:?}");
    assert_eq!(seen.wear.told.contains("where it was"), slip_mm == 0.0, "{}", seen.wear.told);
    // Other pliers did not roll them, two loops say nothing, and a trial's mark was moved on purpose.
    let other = Plier { name: "stout".into(), ..workshop.pliers[0].clone() };
    assert_eq!(seen_on(&other, &loops, LengthUnit::Mm), None);
    assert_eq!(seen_on(&workshop.pliers[0], &loops[..2], LengthUnit::Mm), None);
    let tried = PieceCheck { trial: Some(TrialBlank { blank_mm: 60.0, over_mm: 0.0 }), ..check };
    assert!(tried.loops_seen(&readings, &workshop).unwrap().is_empty());
}

#[rstest]
fn two_loops_calibrate_a_jaw_and_later_ones_find_a_slip() {
    let plier = workshop().pliers[0].clone();
    let wire = Wire::round(Metal::SterlingSilver, 0.8, Temper::HalfHard);
    let by_loops = calibrated(&plier, &rolled(&plier, 4.0, &wire), &rolled(&plier, 22.0, &wire)).unwrap();
    for at_mm in [0.0, 10.0, 28.0] {
        assert!((by_loops.diameter_at(at_mm).unwrap() - plier.diameter_at(at_mm).unwrap()).abs() < 0.002);
    }
    // Rolled 0.8 mm further up than the mark says.
    let slid = RolledLoop { at_mm: 9.2, ..rolled(&plier, 10.0, &wire) };
    let found = wear(&plier, &[slid.clone(), slid.clone(), slid], LengthUnit::Mm).unwrap();
    assert!((found.off_mm - 0.8).abs() < 1e-6 && found.told.contains("towards the base"), "{found:?}");
    let still = wear(&plier, &[rolled(&plier, 10.0, &wire)], LengthUnit::Mm).unwrap();
    assert!(still.told.contains("where it was"));
    // The rod the loop was rolled on is the rod that leaves it.
    let inside = Outline::Round { diameter: rolled(&plier, 10.0, &wire).inside_mm };
    let rod = outline_for(&Bending::of(&wire), inside).unwrap().across();
    assert!((rod - plier.diameter_at(10.0).unwrap()).abs() < 1e-6);
}

/// Pieces of known spreads: each source is found within what chance allows.
#[rstest]
fn the_hands_own_spread_is_parted_into_its_sources() {
    let mut chance = Chance::of(9);
    let (hugging, cut, reading) = (0.06, 0.05, 0.03);
    let mut all = vec![];
    for coil in 0..60 {
        let of_coil = chance.normal(hugging);
        for _ in 0..6 {
            let of_ring = chance.normal(cut);
            let mm = (0..3).map(|_| 5.0 + of_coil + of_ring + chance.normal(reading)).collect();
            all.push(Readings { coil, setup: coil / 6, cut: true, mm });
        }
    }
    let own = learned(&all, &Hand::default(), 0.02, LengthUnit::Mm);
    let of = |source: Source| own.sources.iter().find(|one| one.source == source).unwrap().mm;
    assert!((of(Source::Hand) - hugging).abs() < 0.01, "{}", of(Source::Hand));
    assert!((of(Source::Cut) - cut).abs() < 0.006, "{}", of(Source::Cut));
    assert!((of(Source::Reading) - reading).abs() < 0.003, "{}", of(Source::Reading));
    assert_eq!(own.sources[0].source, Source::Hand);
    assert!((own.sources.iter().map(|one| one.share).sum::<f64>() - 1.0).abs() < 1e-9);
    // Nothing measured leaves the handbook.
    let none = learned(&[], &Hand::default(), 0.02, LengthUnit::Mm);
    assert!((none.hand.hugging_mm - Hand::default().hugging_mm).abs() < 1e-3, "{none:?}");
}

#[rstest]
#[case("5.08 mm", 5.08)]
#[case("ST,+005.08mm", 5.08)]
#[case("ok 0,200 in", 5.08)]
#[case("  12.34 MM\r", 12.34)]
#[case("+ 0.05 mm", 0.05)]
fn lines_of_calipers(#[case] line: &str, #[case] mm: f64) {
    assert!((read_line(line).unwrap() - mm).abs() < 1e-9);
}

#[rstest]
#[case("", "no reading")]
#[case("mm", "no reading")]
#[case("5.08", "no unit")]
#[case("5.08 kg", "not a length")]
#[case("5.08 mm 5.09 mm", "no reading")]
#[case("US,5.08 mm", "not still")]
#[case("low battery 5.08 mm", "no reading")]
#[case("-3 mm", "reading")]
#[case("99999 mm", "reading")]
#[case("5.0.8 mm", "no reading")]
#[case("\u{0}\u{1}\u{2}5.08 mm", "no reading")]
fn lines_that_are_none(#[case] line: &str, #[case] says: &str) {
    let fault = read_line(line).unwrap_err();
    assert!(fault.sentence.contains(says), "{}", fault.sentence);
}

proptest! {
    #[test]
    fn no_line_and_nothing_typed_panics(line in ".{0,60}") {
        let _ = read_line(&line);
        let _ = read_typed(&line, Habits::default());
    }

    /// What passes is not put right, and what is far off is not passed.
    #[test]
    fn verdicts_follow_the_limits(off in -3.0..3.0_f64, which in 0..40_usize) {
        let kinds: Vec<Kind> = Kind::all().collect();
        let piece = Piece::Finding(PatternRequest::usual(kinds[which % kinds.len()]));
        let workshop = workshop();
        let (list, _) = to_measure(&piece, CheckedOf::Piece, &workshop).unwrap();
        for one in list.iter().filter(|one| one.kind.is_some()) {
            let value = (one.wanted + off).max(0.0);
            let judged = one.judge(value, &piece, &workshop);
            let within = value >= one.least - 1e-9 && value <= one.most + 1e-9;
            prop_assert_eq!(judged.verdict == Verdict::Pass, within);
            prop_assert!(!judged.told.is_empty());
        }
    }
}
