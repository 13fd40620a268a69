//! How long sessions take to plan: `cargo bench --package lorimant-core -- sessions`.
use std::hint::black_box;

use criterion::Criterion;
use lorimant_core::bench::schedule::search::MOST_TRIED;
use lorimant_core::bench::schedule::{Job, Pin, ScheduleRequest, TimeSpan, Work};

/// Sixty batches of ten steps over four weeks, five days of four hours each.
fn plan() -> ScheduleRequest {
    let chance = |seed: u32| f64::from(seed.wrapping_mul(2_654_435_761) >> 8) / f64::from(1_u32 << 24);
    let day = |i: u32| f64::from(i) * 1440.0;
    let jobs = (0..60).map(|j| {
        let works = (0..10).map(|w| {
            let seed = j * 10 + w;
            let barrel = w == 8 && j % 2 == 0;
            Work {
                named: format!("step {w}"),
                n: if barrel { 1 } else { 12 },
                setting_up_min: 1.0,
                each_min: 0.2 + 0.5 * chance(seed),
                effort_each_min: 0.3,
                unattended_min: if barrel { 120.0 } else { 0.0 },
                barrel,
                fills: if barrel { 0.4 } else { 0.0 },
                setup: format!("tool {}", seed % 13),
            }
        });
        Job {
            name: format!("batch {j}"),
            pieces_n: 12,
            due_min: Some(day(2 + j / 3)),
            ready_min: None,
            works: works.collect(),
        }
    });
    let weekdays = (0..28).filter(|i| i % 7 < 5);
    ScheduleRequest {
        jobs: jobs.collect(),
        sessions: weekdays.map(|i| TimeSpan { from_min: day(i), to_min: day(i) + 240.0 }).collect(),
        most_min: 220.0,
        most_effort_min: 400.0,
        rest_every_min: 50.0,
        rest_min: 5.0,
        quiet: (0..28).map(|i| TimeSpan { from_min: day(i) + 780.0, to_min: day(i) + 1320.0 }).collect(),
        barrel_busy_to_min: None,
        pins: vec![],
    }
}

pub fn benches(c: &mut Criterion) {
    let plan = plan();
    for tries in [0, 60, 300, MOST_TRIED] {
        let made = plan.plan(7, &|at| at.tried_n < tries).unwrap();
        println!("{tries} plans tried: {:?}, tools laid out {} times", made.cost, made.layouts_n);
    }
    let mut group = c.benchmark_group("60 batches of 10 steps over four weeks");
    group.sample_size(10);
    group.bench_function("planned", |b| b.iter(|| black_box(&plan).plan(7, &|at| at.tried_n < 300).unwrap()));
    let moved = ScheduleRequest { pins: vec![Pin { job: 3, work: 2, not_before_min: 9.0 * 1440.0 }], ..plan };
    group.bench_function("planned again after a move", |b| {
        b.iter(|| black_box(&moved).plan(7, &|at| at.tried_n < 100).unwrap());
    });
    group.finish();
}
