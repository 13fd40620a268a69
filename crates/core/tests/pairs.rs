//! Measured pieces matched into pairs and sets.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::chance::Chance;
use lorimant_core::learn::pairs::{MeasuredPiece, matched, matched_while};
use proptest::prelude::*;
use rstest::rstest;

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

/// What a pair counts against a matching: one that does not pass more than all differences together.
fn counts(apart: f64) -> f64 {
    if apart <= 1.0 + 1e-9 { apart } else { 1e3 + apart.min(20.0) }
}

/// The least that can count against a matching, by trying every way.
fn brute_force(pieces: &[MeasuredPiece], tolerance: &[f64], left: Vec<u32>, may_leave: bool) -> f64 {
    let Some((first, rest)) = left.split_first() else { return 0.0 };
    let without = |other: u32| rest.iter().copied().filter(|n| *n != other).collect::<Vec<_>>();
    let paired = rest.iter().map(|other| {
        counts(apart(pieces, tolerance, &[*first, *other]))
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
        let sum: f64 = found.sets.iter().map(|set| counts(set.mismatch)).sum();
        let numbers: Vec<u32> = all.iter().map(|piece| piece.piece_n).collect();
        let least = brute_force(&all, &tolerance, numbers.clone(), n % 2 == 1);
        // To a ten-thousandth of what is allowed, for each pair.
        prop_assert!((sum - least).abs() < 1e-4 * n as f64, "{sum} {least}");
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

/// Two outer pieces that go with nobody do not keep the two in the middle from passing.
#[rstest]
fn most_pairs_pass_before_differences_are_added_up() {
    let all = pieces(&[vec![20.0], vec![20.5], vec![20.6], vec![21.1]]);
    let found = matched(&all, &[0.4], 2).unwrap();
    assert_eq!(found.sets.iter().filter(|set| set.passes).count(), 1);
    assert_eq!(found.sets[0].pieces_n, [2, 3]);
}

/// Two hundred pieces over three dimensions are paired exactly.
#[rstest]
fn two_hundred_pieces_are_paired_exactly() {
    let mut chance = Chance::of(11);
    let values: Vec<Vec<f64>> = (0..200)
        .map(|_| vec![20.0 + chance.normal(0.3), 3.0 + chance.normal(0.1), 9.0 + chance.normal(0.2)])
        .collect();
    let found = matched(&pieces(&values), &[0.3, 0.1, 0.3], 2).unwrap();
    assert!(found.least && found.sets.len() == 100 && found.left_over_n.is_empty());
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
#[case(&[vec![1.0, 2.0], vec![1.0]], &[0.3, 0.3], 2, "1 measurements, but 2")]
#[case(&[vec![1.0], vec![f64::NAN]], &[0.3], 2, "Measure what is missing")]
#[case(&[vec![1.0], vec![1.0]], &[0.0], 2, "above 0 mm")]
#[case(&[vec![1.0], vec![1.0]], &[0.3], 1, "cannot be matched. Enter 2 to 12")]
fn what_cannot_be_matched_is_said(
    #[case] values: &[Vec<f64>],
    #[case] tolerance: &[f64],
    #[case] size: usize,
    #[case] says: &str,
) {
    let faults = matched(&pieces(values), tolerance, size).unwrap_err();
    assert!(faults.0[0].message.contains(says), "{faults}");
}

/// It says how far it is, ever further, and stops where it is told to with what it has by then: each piece once.
#[rstest]
#[case(usize::MAX)]
#[case(3)]
#[case(1)]
fn a_long_matching_says_how_far_it_is_and_stops(#[case] asked_most: usize) {
    let mut chance = Chance::of(7);
    let values: Vec<Vec<f64>> =
        (0..600).map(|_| vec![20.0 + chance.normal(0.3), 5.0 + chance.normal(0.1)]).collect();
    let mut shares = vec![];
    let go_on = &mut |share| {
        shares.push(share);
        shares.len() < asked_most
    };
    let found = matched_while(&pieces(&values), &[0.4, 0.2], 2, go_on).unwrap();
    assert!(shares.windows(2).all(|pair| pair[0] < pair[1]), "{shares:?}");
    assert!(shares.iter().all(|share| (0.0..1.0).contains(share)));
    assert!(shares.len() <= asked_most && (asked_most > 3 || shares.len() == asked_most));
    let mut seen: Vec<u32> =
        found.sets.iter().flat_map(|set| set.pieces_n.clone()).chain(found.left_over_n).collect();
    seen.sort_unstable();
    assert_eq!(seen, (1..=600).collect::<Vec<u32>>());
}
