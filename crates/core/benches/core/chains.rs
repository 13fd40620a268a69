//! How long chains take to plan and weaves to relax: `cargo bench --package lorimant-core -- chains`.
use std::hint::black_box;

use criterion::Criterion;
use lorimant_core::chain::ChainRequest;
use lorimant_core::chain::relaxed::RelaxRequest;
use lorimant_core::chain::weaves;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};

/// 42 cm from rings of ratio 7, which go into every weave.
fn chain(word: &str) -> ChainRequest {
    let wire = Wire::round(Metal::RedBrass, 1.0, Temper::QuarterHard);
    ChainRequest::new(word, RingRequest::new(wire, Mandrel::round(7.0), 1), 420.0)
}

pub fn benches(c: &mut Criterion) {
    let workshop = Workshop::default();
    let mut group = c.benchmark_group("a chain from poses that ship");
    for known in weaves::all() {
        let chain = chain(known.word);
        group
            .bench_function(format!("plan {}", known.word), |b| b.iter(|| black_box(&chain).plan().unwrap()));
    }
    let byzantine = chain("byzantine");
    group
        .bench_function("all a view shows, byzantine", |b| b.iter(|| black_box(&byzantine).sheet(&workshop)));
    group.finish();
    let mut group = c.benchmark_group("a weave relaxed anew, as many starts as are usual");
    group.sample_size(10);
    for known in weaves::all().iter().filter(|known| known.weave.rings_n() < 8) {
        let asked = RelaxRequest { weave: known.weave.clone(), ratio: None, starts_n: None };
        group.bench_function(known.word, |b| b.iter(|| black_box(&asked).relaxed(&|_| true)));
    }
}
