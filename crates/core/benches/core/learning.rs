//! Learning a lot, matching pieces, finding a cause.
use std::collections::BTreeMap;
use std::hint::black_box;

use criterion::Criterion;
use lorimant_core::chance::Chance;
use lorimant_core::learn::cause::causes;
use lorimant_core::learn::dimension::CheckedOf;
use lorimant_core::learn::lot::{Inside, MeasuredInside, inside_with, learn};
use lorimant_core::learn::pairs::{MeasuredPiece, matched};
use lorimant_core::pattern::PatternRequest;
use lorimant_core::piece::Piece;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::hand::HandSpread;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};

pub fn learning(c: &mut Criterion) {
    let mut group = c.benchmark_group("learning");
    group.sample_size(20);
    let wound =
        RingRequest::new(Wire::round(Metal::StainlessSteel, 0.8, Temper::HalfHard), Mandrel::round(6.0), 30);
    let inside_mm = inside_with(&wound, Inside::Coil, 1.1).unwrap();
    let coil = MeasuredInside {
        wound,
        of: Inside::Coil,
        inside_mm,
        readings_n: 3,
        off_spool_mm: None,
        excluded: false,
    };
    let coils = vec![coil; 20];
    group.bench_function("a lot from twenty coils", |b| {
        b.iter(|| learn(black_box(&coils), &HandSpread::default()))
    });
    let mut chance = Chance::of(1);
    let pieces: Vec<MeasuredPiece> = (1..=5000)
        .map(|piece_n| MeasuredPiece {
            piece_n,
            mm: vec![20.0 + chance.normal(0.3), 3.0 + chance.normal(0.1)],
        })
        .collect();
    group.bench_function("5000 pieces into pairs by two dimensions", |b| {
        b.iter(|| matched(black_box(&pieces), &[0.4, 0.2], 2).unwrap());
    });
    let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
    let measured =
        BTreeMap::from([("shank_mm".into(), 15.4), ("nose_mm".into(), 5.6), ("eye_mm".into(), 4.0)]);
    group.bench_function("the cause of a misfit", |b| {
        b.iter(|| causes(black_box(&hook), CheckedOf::Piece, &measured, None, &Workshop::default()).unwrap());
    });
    group.finish();
}
