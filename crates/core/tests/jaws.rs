//! Jaws calibrated by loops, and their marks found slipped.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{planted, tapered, usual};
use lorimant_core::chance::Chance;
use lorimant_core::learn::check::{PieceCheck, TrialBlank};
use lorimant_core::learn::dimension::CheckedOf;
use lorimant_core::learn::jaw::{RolledLoop, calibrated, seen_on, wear};
use lorimant_core::learn::measured::{CaliperReading, ReadFrom};
use lorimant_core::pattern::slipped::Slips;
use lorimant_core::piece::Piece;
use lorimant_core::tool::coil::outline_for;
use lorimant_core::tool::outline::Outline;
use lorimant_core::tool::plier::Plier;
use lorimant_core::wire::Wire;
use lorimant_core::wire::bending::Bending;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::words::length::LengthUnit;
use rstest::rstest;

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
    let (workshop, request) = (tapered(), usual(kind));
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
                at: "2026-03-05T10:00:00Z".into(),
                excluded: false,
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
    let seen = seen_on(&workshop.pliers[0], "2026-01-01", &loops, LengthUnit::Mm).unwrap();
    // Twelve loops, each uneven by 0.04 mm, which is about 0.2 mm on the jaw.
    assert!((seen.wear.off_mm - slip_mm).abs() < 0.2, "{seen:?}");
    assert_eq!(seen.wear.text.contains("still right"), slip_mm == 0.0, "{}", seen.wear.text);
    // Other pliers did not roll them, two loops say nothing, and a trial's mark was moved on purpose.
    let other = Plier { name: "stout".into(), ..workshop.pliers[0].clone() };
    assert_eq!(seen_on(&other, "2026-01-01", &loops, LengthUnit::Mm), None);
    assert_eq!(seen_on(&workshop.pliers[0], "2026-01-01", &loops[..2], LengthUnit::Mm), None);
    // Measured before the pliers were.
    assert_eq!(seen_on(&workshop.pliers[0], "2026-04-01", &loops, LengthUnit::Mm), None);
    let tried = PieceCheck { trial: Some(TrialBlank { blank_mm: 60.0, over_mm: 0.0 }), ..check };
    assert!(tried.loops_seen(&readings, &workshop).unwrap().is_empty());
}

#[rstest]
fn two_loops_calibrate_a_jaw_and_later_ones_find_a_slip() {
    let plier = tapered().pliers[0].clone();
    let wire = Wire::round(Metal::SterlingSilver, 0.8, Temper::HalfHard);
    let by_loops = calibrated(&plier, &rolled(&plier, 4.0, &wire), &rolled(&plier, 22.0, &wire)).unwrap();
    for at_mm in [0.0, 10.0, 28.0] {
        assert!((by_loops.diameter_at(at_mm).unwrap() - plier.diameter_at(at_mm).unwrap()).abs() < 0.002);
    }
    // Rolled 0.8 mm further up than the mark says.
    let slid = RolledLoop { at_mm: 9.2, ..rolled(&plier, 10.0, &wire) };
    let found = wear(&plier, &[slid.clone(), slid.clone(), slid], LengthUnit::Mm).unwrap();
    assert!((found.off_mm - 0.8).abs() < 1e-6 && found.text.contains("towards the base"), "{found:?}");
    let still = wear(&plier, &[rolled(&plier, 10.0, &wire)], LengthUnit::Mm).unwrap();
    assert!(still.text.contains("still right"));
    // The rod the loop was rolled on is the rod that leaves it.
    let inside = Outline::Round { diameter: rolled(&plier, 10.0, &wire).inside_mm };
    let rod = outline_for(&Bending::of(&wire), inside).unwrap().across();
    assert!((rod - plier.diameter_at(10.0).unwrap()).abs() < 1e-6);
}
