//! How long forming a finding takes: `cargo bench --package lorimant-core -- patterns`.
use std::hint::black_box;

use criterion::Criterion;
use lorimant_core::ask::answer;
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::tool::plier::{Jaws, Plier};
use lorimant_core::tool::workshop::{StartSet, Workshop};

pub fn benches(c: &mut Criterion) {
    let plier = Plier {
        name: "slim round-nose".to_owned(),
        jaws: Jaws::RoundNose,
        tip_mm: Some(1.2),
        base_mm: Some(5.5),
        length_mm: Some(24.0),
        reach_mm: None,
        measured: vec![],
        diameters_mm: vec![],
    };
    let workshop =
        Workshop { rods: StartSet::MetricHalves.rods(), pliers: vec![plier], ..Workshop::default() };
    let mut group = c.benchmark_group("form with drawings, steps, checks and figures");
    for kind in Kind::all() {
        let request = PatternRequest::usual(kind);
        group.bench_function(kind.0.kind, |b| b.iter(|| black_box(&request).sheet(&workshop)));
    }
    group.finish();
    c.bench_function("the ask line about a finding", |b| {
        b.iter(|| answer(black_box("24 pairs hooks 21 ga sterling half-hard"), &workshop, &Vec::new));
    });
}
