//! How long planning takes: `cargo bench --package lorimant-core`.
use std::hint::black_box;

use criterion::Criterion;
use lorimant_core::ask::answer;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::mandrel::{Mandrel, Shape};
use lorimant_core::tool::workshop::{StartSet, Workshop};

fn request(shape: &str) -> RingRequest {
    let text = format!(
        r#"{{"wire": {{"metal": "sterling-silver", "size_mm": 0.8118, "temper": "half-hard"}},
            "mandrel": {{"shape": "{shape}", "diameter_mm": 5.0, "length_mm": 88}}, "rings_n": 120}}"#
    );
    serde_json::from_str(&text).unwrap()
}

pub fn benches(c: &mut Criterion) {
    let round = request("round");
    c.bench_function("one plan, round rod", |b| b.iter(|| black_box(&round).plan().unwrap()));
    let workshop = Workshop::default();
    let finished = round.finished(&workshop).unwrap();
    c.bench_function("its figures with their workings", |b| {
        b.iter(|| finished.figures(black_box(&round), &workshop))
    });
    let hexagon = request("hexagon");
    c.bench_function("one plan, hexagonal rod", |b| b.iter(|| black_box(&hexagon).plan().unwrap()));
    let oval = request("oval");
    c.bench_function("one plan, oval rod", |b| b.iter(|| black_box(&oval).plan().unwrap()));

    let mut rods: Vec<Mandrel> = StartSet::ALL.iter().flat_map(|set| set.rods()).collect();
    rods.extend(
        (0..300 - rods.len()).map(|i| Mandrel::round(2.0 + 0.05 * f64::from(u32::try_from(i).unwrap()))),
    );
    assert!(rods.len() == 300 && rods.iter().all(|rod| rod.shape == Shape::Round));
    let target = round.target(4.5);
    let workshop = Workshop { rods, ..Workshop::default() };
    c.bench_function("backwards over 300 rods with 0 to 3 layers of tape", |b| {
        b.iter(|| black_box(&target).choose(&workshop).unwrap());
    });

    c.bench_function("a whole sheet with drawings, 300 rods", |b| {
        b.iter(|| black_box(&round).sheet(&workshop))
    });
    c.bench_function("the ask line, 300 rods", |b| {
        b.iter(|| answer(black_box("120 rings 5 mm inside copper 18 soft"), &workshop, &Vec::new));
    });
}
