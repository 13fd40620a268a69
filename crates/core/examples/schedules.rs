//! Holds the schedule against two schedulers of its tests: `cargo run --release --package lorimant-core --example schedules`.
//!
//! Who always takes what is due first, on 200 busy workshops; the best of every order there is, on 200 small ones.
#![allow(clippy::unwrap_used, missing_docs)]

#[path = "../tests/common/schedulers.rs"]
mod schedulers;

use std::time::Instant;

use lorimant_core::bench::schedule::search::Progress;
use lorimant_core::bench::schedule::{Job, Planned, ScheduleRequest};
use lorimant_core::chance::Chance;
use schedulers::{best_of_all, busy, few, job, on_time_by_due_day, plan_of, work};

fn planned(plan: &ScheduleRequest, tries_n: u32) -> Planned {
    plan.plan(7, &|at: Progress| at.tried_n < tries_n).unwrap()
}

fn main() {
    by_due_day();
    every_order();
    undated();
    sixty_lines();
}

/// Pieces on time in 200 workshops with more to do than there is time for.
fn by_due_day() {
    let (mut ours, mut theirs, mut due_n, mut fewer) = (0, 0, 0, 0);
    for seed in 0..200 {
        let plan = busy(seed);
        let due: u32 = plan.jobs.iter().filter(|job| job.due_min.is_some()).map(|job| job.pieces_n).sum();
        let on_time = due - planned(&plan, 120).cost.late_n;
        let by_due = on_time_by_due_day(&plan);
        fewer += u32::from(on_time < by_due);
        (ours, theirs, due_n) = (ours + on_time, theirs + by_due, due_n + due);
    }
    println!(
        "200 busy workshops, {due_n} pieces due: {ours} on time, {theirs} by due day alone; fewer in {fewer}"
    );
}

/// Small workshops against the best of all orders.
fn every_order() {
    let mut chance = Chance::of(3);
    let (mut all, mut as_good, mut ours, mut best) = (0, 0, 0.0, 0.0);
    while all < 200 {
        let mut jobs = vec![];
        for _ in 0..2 + chance.below(2) {
            let due = chance.between(60.0, 900.0);
            let mut works = vec![];
            for _ in 0..2 + chance.below(2) {
                let kind = u32::try_from(chance.below(5)).unwrap();
                works.push((chance.between(5.0, 50.0), chance.below(3), kind));
            }
            jobs.push((due, works));
        }
        let plan = few(jobs);
        let Some(exact) = best_of_all(&plan) else { continue };
        let cost = planned(&plan, 4000).cost;
        all += 1;
        as_good += u32::from(
            cost.late_n <= exact.late_n && cost.late_piece_min <= 1.05 * exact.late_piece_min + 1.0,
        );
        (ours, best) = (ours + cost.late_piece_min, best + exact.late_piece_min);
    }
    println!(
        "{all} small workshops: {as_good} within 5 % of the best of all orders; {ours:.0} piece minutes late, {best:.0}"
    );
}

/// What is due beside more and more that is not.
fn undated() {
    let hooks = Job {
        pieces_n: 60,
        ..job("hooks", Some(7.0 * 1440.0), vec![work(60, 3.0, "a"), work(60, 2.0, "b")])
    };
    for n in [0, 100, 800, 8000] {
        let pins = Job { pieces_n: n, ..job("pins", None, vec![work(n, 1.0, "b"), work(n, 0.5, "a")]) };
        let made = planned(&plan_of(vec![pins, hooks.clone()], 10, 2.0), 200);
        println!("60 hooks due in a week beside {n} pins without a day: {} on time", 60 - made.cost.late_n);
    }
}

/// Sixty lines of orders over four weeks.
fn sixty_lines() {
    let mut chance = Chance::of(11);
    let jobs = (0..60).map(|i| {
        let n = 4 + u32::try_from(chance.below(12)).unwrap();
        let works = (0..4 + chance.below(4))
            .map(|_| work(n, chance.between(0.5, 3.0), ["a", "b", "c", "d"][chance.below(4)]));
        let works = works.collect();
        Job { pieces_n: n, ..job(&format!("line {i}"), Some(chance.between(1000.0, 30_000.0)), works) }
    });
    let plan = plan_of(jobs.collect(), 28, 3.0);
    let start = Instant::now();
    let made = planned(&plan, 300);
    let due: u32 = plan.jobs.iter().map(|job| job.pieces_n).sum();
    println!(
        "60 lines, {due} pieces: {} on time, {} by due day alone; planned in {:.2} s",
        due - made.cost.late_n,
        on_time_by_due_day(&plan),
        start.elapsed().as_secs_f64()
    );
}
