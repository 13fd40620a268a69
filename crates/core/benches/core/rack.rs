//! How long cut plans, choosing a wire and listings take: `cargo bench --package lorimant-core -- rack`.
use std::hint::black_box;

use criterion::Criterion;
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::piece::Piece;
use lorimant_core::rack::choose::{ChooseRequest, Finish};
use lorimant_core::rack::cut_plan::{CutRequest, Demand, Progress, Stock};
use lorimant_core::rack::listing::decode;
use lorimant_core::rack::stock::StockKind;
use lorimant_core::rack::stock::price::Rack;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::length::Habits;
use lorimant_core::words::length::LengthUnit;

/// So many blanks of so many lengths, from offcuts and spools with a third more wire than is wanted.
fn request(blanks: u32, lengths: u32, offcuts: u32, spools: u32) -> CutRequest {
    let chance = |seed: u32| f64::from(seed.wrapping_mul(2_654_435_761) >> 8) / f64::from(1_u32 << 24);
    let demand: Vec<Demand> = (0..lengths)
        .map(|i| Demand {
            id: format!("d{i}"),
            length_mm: (20.0 + 90.0 * chance(i + 1)).round(),
            ruler_mm: None,
            n: blanks / lengths,
            pair: i % 3 == 0,
        })
        .collect();
    let wanted: f64 = demand.iter().map(|d| d.length_mm * f64::from(d.n)).sum();
    let mut stock: Vec<Stock> = (0..offcuts)
        .map(|i| Stock {
            id: format!("offcut {i}"),
            length_mm: (60.0 + 500.0 * chance(i + 77)).round(),
            kind: StockKind::Offcut,
        })
        .collect();
    let each = (wanted * 1.3 / f64::from(spools)).round();
    stock.extend((0..spools).map(|i| Stock {
        id: format!("spool {i}"),
        length_mm: each,
        kind: StockKind::Spool,
    }));
    CutRequest { stock, demand, trim_mm: 0.6, kerf_mm: 0.2, shortest_useful_mm: 60.0 }
}

pub fn benches(c: &mut Criterion) {
    let (small, large) = (request(500, 12, 30, 4), request(5000, 40, 60, 12));
    // The first plan made, and the best of every order tried.
    let tries: [(&str, &dyn Fn(Progress) -> bool); 2] =
        [("first", &|_| false), ("of every order", &|_| true)];
    let mut group = c.benchmark_group("cut plan");
    group.sample_size(10);
    for (name, request) in [("500 blanks of 12 lengths", &small), ("5000 blanks of 40 lengths", &large)] {
        for (which, go_on) in tries {
            let name = format!("{name}, {which}");
            println!(
                "{name}: {:.4} % above the bound",
                100.0 * request.solve(LengthUnit::Mm, go_on).unwrap().gap
            );
            group.bench_function(name, |b| {
                b.iter(|| black_box(request).solve(LengthUnit::Mm, go_on).unwrap())
            });
        }
    }
    group.finish();
    let kind = Kind::all().find(|kind| kind.0.kind == "open-ear-wire").unwrap();
    let wish = ChooseRequest {
        bears_n: 0.5,
        finish: Finish::Polished,
        ..ChooseRequest::of(Piece::Finding(PatternRequest::usual(kind)))
    };
    let weighed = wish.choose(&Rack::default(), &Workshop::default()).unwrap().weighed_n;
    println!("{weighed} wires weighed");
    c.bench_function("a wire chosen of every metal, temper and 20 sizes", |b| {
        b.iter(|| black_box(&wish).choose(&Rack::default(), &Workshop::default()).unwrap());
    });
    c.bench_function("a listing read", |b| {
        b.iter(|| decode(black_box(".925 HH sq 20ga 5ft 14.80"), Habits::default()));
    });
}
