//! Charts of a batch, the hand's own spread, and lines of calipers.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::tapered;
use lorimant_core::chance::Chance;
use lorimant_core::learn::chart::charted;
use lorimant_core::learn::dimension::{CheckedOf, Verdict, to_measure};
use lorimant_core::learn::reading::{read_line, read_typed};
use lorimant_core::learn::spread::{Readings, Source, learned};
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::piece::Piece;
use lorimant_core::tool::hand::HandSpread;
use lorimant_core::words::length::{Habits, LengthUnit};
use proptest::prelude::*;
use rstest::rstest;

#[rstest]
fn a_run_is_seen_and_chance_is_not() {
    let mut chance = Chance::of(3);
    let mut text = 0;
    for _ in 0..200 {
        let even: Vec<(u32, f64)> = (1..=20).map(|n| (n, 5.0 + chance.normal(0.05))).collect();
        text += u32::from(!charted("ring", &even, (4.8, 5.2), LengthUnit::Mm).signs.is_empty());
    }
    assert!(text <= 20, "{text} of 200 even batches");
    let moved: Vec<(u32, f64)> =
        (1..=20).map(|n| (n, if n > 10 { 5.2 } else { 5.0 } + chance.normal(0.02))).collect();
    let chart = charted("ring", &moved, (4.8, 5.4), LengthUnit::Mm);
    assert!(chart.signs.iter().any(|sign| sign.text.contains("in a row")), "{chart:?}");
    let mut odd: Vec<(u32, f64)> = (1..=10).map(|n| (n, 5.0 + chance.normal(0.02))).collect();
    odd[6].1 = 5.6;
    let chart = charted("ring", &odd, (4.8, 5.4), LengthUnit::Mm);
    assert!(chart.signs.iter().any(|sign| sign.pieces_n == [7]), "{chart:?}");
}

/// Six in a row each larger are no chance, five are; and it is said from the sixth on.
#[rstest]
#[case(5, false)]
#[case(6, true)]
fn a_drift_is_seen_from_the_sixth_piece_on(#[case] rising: u32, #[case] seen: bool) {
    // Down first, then up so many times, then level by turns.
    let mut values = vec![5.1, 5.0];
    values.extend((1..rising).map(|n| 5.0 + 0.02 * f64::from(n)));
    values.extend([5.02, 5.05, 5.01]);
    let pieces: Vec<(u32, f64)> = (1..).zip(values).collect();
    let chart = charted("ring", &pieces, (4.8, 5.4), LengthUnit::Mm);
    assert_eq!(chart.signs.iter().any(|sign| sign.text.contains("each larger")), seen, "{chart:?}");
}

/// Pieces rolled on two jaws by turns are seen to be; a batch of one jaw is not.
#[rstest]
fn two_jaws_by_turns_are_seen() {
    let mut chance = Chance::of(5);
    let batch = |chance: &mut Chance, off: f64| -> Vec<(u32, f64)> {
        let by_turns = |n: u32| if n.is_multiple_of(2) { off } else { 0.0 };
        (1..=12_u32).map(|n| (n, 3.0 + by_turns(n) + chance.normal(0.02))).collect()
    };
    let text = |pieces: &[(u32, f64)]| {
        let chart = charted("loop", pieces, (2.8, 3.2), LengthUnit::Mm);
        chart.signs.iter().any(|sign| sign.text.contains("Every other piece"))
    };
    let of_two = (0..100).filter(|_| text(&batch(&mut chance, 0.08))).count();
    let of_one = (0..300).filter(|_| text(&batch(&mut chance, 0.0))).count();
    assert!(of_two >= 90 && of_one <= 3, "{of_two} of 100 seen, {of_one} of 300 imagined");
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
    let own = learned(&all, &HandSpread::default(), 0.02, LengthUnit::Mm);
    let of = |source: Source| own.sources.iter().find(|one| one.source == source).unwrap().mm;
    assert!((of(Source::Hand) - hugging).abs() < 0.01, "{}", of(Source::Hand));
    assert!((of(Source::Cut) - cut).abs() < 0.006, "{}", of(Source::Cut));
    assert!((of(Source::Reading) - reading).abs() < 0.003, "{}", of(Source::Reading));
    assert_eq!(own.sources[0].source, Source::Hand);
    assert!((own.sources.iter().map(|one| one.share).sum::<f64>() - 1.0).abs() < 1e-9);
    // Nothing measured leaves the handbook.
    let none = learned(&[], &HandSpread::default(), 0.02, LengthUnit::Mm);
    assert!((none.hand.coil_slack_mm - HandSpread::default().coil_slack_mm).abs() < 1e-3, "{none:?}");
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
#[case("", "not a caliper reading")]
#[case("mm", "not a caliper reading")]
#[case("5.08", "no unit")]
#[case("5.08 kg", "not a length")]
#[case("5.08 mm 5.09 mm", "not a caliper reading")]
#[case("US,5.08 mm", "The caliper isn't still. Hold it steady and take the reading again")]
#[case("low battery 5.08 mm", "not a caliper reading")]
#[case("-3 mm", "reading")]
#[case("99999 mm", "reading")]
#[case("5.0.8 mm", "not a caliper reading")]
#[case("\u{0}\u{1}\u{2}5.08 mm", "not a caliper reading")]
fn lines_that_are_none(#[case] line: &str, #[case] says: &str) {
    let fault = read_line(line).unwrap_err();
    assert!(fault.message.contains(says), "{}", fault.message);
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
        let workshop = tapered();
        let (list, _) = to_measure(&piece, CheckedOf::Piece, &workshop).unwrap();
        for one in list.iter().filter(|one| one.kind.is_some()) {
            let value = (one.wanted + off).max(0.0);
            let judged = one.judge(value, &piece, &workshop);
            let within = value >= one.least - 1e-9 && value <= one.most + 1e-9;
            prop_assert_eq!(judged.verdict == Verdict::Pass, within);
            prop_assert!(!judged.text.is_empty());
        }
    }
}
