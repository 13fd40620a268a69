//! Sittings: whatever is planned, nothing is done before its time, at once, past a limit or in quiet hours; and little is
//! late that need not be.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::bench::sittings::search::Progress;
use lorimant_core::bench::sittings::{Because, Cost, Job, Pin, Planned, Sittings, Stretch, Work, cheaper};
use proptest::prelude::*;

const EPS: f64 = 1e-6;

fn work(n: u32, each_min: f64, setup: &str) -> Work {
    Work {
        named: "bend".to_owned(),
        n,
        setting_up_min: 2.0,
        each_min,
        effort_each_min: each_min,
        unattended_min: 0.0,
        barrel: false,
        setup: setup.to_owned(),
    }
}

fn tumbled(hours: f64) -> Work {
    Work { unattended_min: 60.0 * hours, barrel: true, effort_each_min: 0.0, ..work(1, 5.0, "barrel") }
}

fn job(name: &str, due_min: Option<f64>, works: Vec<Work>) -> Job {
    Job { name: name.to_owned(), due_min, works }
}

/// So many days of so many hours from nine in the morning, the barrel silent from ten at night to seven.
fn days(n: u32, hours: f64) -> (Vec<Stretch>, Vec<Stretch>) {
    let day = |i: u32| f64::from(i) * 1440.0;
    let sittings = (0..n).map(|i| Stretch { from_min: day(i), to_min: day(i) + 60.0 * hours });
    let quiet = (0..n).map(|i| Stretch { from_min: day(i) + 780.0, to_min: day(i) + 1320.0 });
    (sittings.collect(), quiet.collect())
}

fn plan_of(jobs: Vec<Job>, n: u32, hours: f64) -> Sittings {
    let (sittings, quiet) = days(n, hours);
    Sittings {
        jobs,
        sittings,
        most_min: 600.0,
        most_effort_min: 600.0,
        rest_every_min: 90.0,
        rest_min: 10.0,
        quiet,
        pins: vec![],
    }
}

fn planned(plan: &Sittings, tries_n: u32) -> Planned {
    plan.plan(7, &|at: Progress| at.tried_n < tries_n).unwrap()
}

/// Every law at once.
fn holds(plan: &Sittings, made: &Planned) -> Result<(), TestCaseError> {
    let mut hands: Vec<(f64, f64)> = vec![];
    let mut barrel: Vec<(f64, f64)> = vec![];
    for one in &made.placed {
        let work = &plan.jobs[one.job].works[one.work];
        let sitting = plan.sittings[one.sitting];
        prop_assert!(one.from_min >= sitting.from_min - EPS && one.to_min <= sitting.to_min + EPS, "{one:?}");
        let took = f64::from(one.n) * work.each_min + if one.lays_out { work.setting_up_min } else { 0.0 };
        prop_assert!((one.to_min - one.from_min - took).abs() < EPS);
        hands.push((one.from_min, one.to_min));
        if work.barrel {
            let (from, to) = (one.to_min, one.alone_to_min.unwrap());
            prop_assert!((to - from - work.unattended_min).abs() < EPS);
            prop_assert!(
                plan.quiet.iter().all(|quiet| to <= quiet.from_min + EPS || from >= quiet.to_min - EPS)
            );
            barrel.push((from, to));
        }
        if let Some(pin) = plan.pins.iter().find(|pin| (pin.job, pin.work) == (one.job, one.work)) {
            prop_assert!(one.from_min >= pin.not_before_min - EPS);
        }
    }
    // One pair of hands, one barrel.
    for all in [&mut hands, &mut barrel] {
        all.sort_by(|a, b| a.0.total_cmp(&b.0));
        prop_assert!(all.windows(2).all(|pair| pair[0].1 <= pair[1].0 + EPS), "{all:?}");
    }
    for sitting in 0..plan.sittings.len() {
        let here = || made.placed.iter().filter(|one| one.sitting == sitting);
        let hands: f64 = here().map(|one| one.to_min - one.from_min).sum();
        let effort = here().map(|one| f64::from(one.n) * plan.jobs[one.job].works[one.work].effort_each_min);
        prop_assert!(hands <= plan.most_min + EPS && effort.sum::<f64>() <= plan.most_effort_min + EPS);
        // No stretch of work is longer than the time between rests.
        let mut since = 0.0;
        let mut last: Option<f64> = None;
        for one in here() {
            if last.is_some_and(|last| one.from_min - last >= plan.rest_min - EPS) {
                since = 0.0;
            }
            since += one.to_min - one.from_min;
            prop_assert!(since <= plan.rest_every_min + EPS, "{since}");
            last = Some(one.to_min);
        }
    }
    for (j, job) in plan.jobs.iter().enumerate() {
        let mut ready = f64::NEG_INFINITY;
        let mut unplaced = 0;
        for (w, work) in job.works.iter().enumerate() {
            let parts: Vec<_> = made.placed.iter().filter(|one| (one.job, one.work) == (j, w)).collect();
            let done: u32 = parts.iter().map(|one| one.n).sum();
            // In its order, and after what ran by itself.
            prop_assert!(parts.iter().all(|one| one.from_min >= ready - EPS));
            unplaced += work.n - done;
            for one in &parts {
                ready = ready.max(one.alone_to_min.unwrap_or(one.to_min));
            }
        }
        // Everything has a place or is named as having none.
        let named: u32 = made.unplaced.iter().filter(|one| one.job == j).map(|one| one.n).sum();
        prop_assert_eq!(unplaced, named);
        let late = made.late.iter().find(|late| late.job == j).map_or(0.0, |late| late.by_min);
        if let Some(due) = job.due_min.filter(|_| named == 0) {
            prop_assert!((late - (ready - due).max(0.0)).abs() < EPS);
        }
    }
    Ok(())
}

fn a_work() -> impl Strategy<Value = Work> {
    (0_u32..12, 0.2..20.0_f64, 0.0..6.0_f64, 0_usize..4, 0_u32..6).prop_map(
        |(n, each, effort, setup, kind)| {
            let mut one = Work { effort_each_min: effort, ..work(n, each, ["a", "b", "c", "d"][setup]) };
            if kind == 0 {
                one = Work { n: n.min(3), ..tumbled(2.0) };
            } else if kind == 1 {
                one.unattended_min = 30.0;
            }
            one
        },
    )
}

proptest! {
    #[test]
    fn no_law_is_ever_broken(
        jobs in prop::collection::vec(
            (prop::option::of(0.0..6000.0_f64), prop::collection::vec(a_work(), 0..6)), 0..6),
        n in 0_u32..5,
        hours in 0.5..6.0_f64,
        most_min in 20.0..400.0_f64,
        most_effort_min in 10.0..300.0_f64,
        rest_every_min in 15.0..120.0_f64,
        rest_min in 0.0..30.0_f64,
        pinned in prop::option::of((0_usize..6, 0_usize..6, 0.0..4000.0_f64)),
    ) {
        let jobs: Vec<Job> = jobs.into_iter().map(|(due, works)| job("one", due, works)).collect();
        let mut plan = plan_of(jobs, n, hours);
        (plan.most_min, plan.most_effort_min) = (most_min, most_effort_min);
        (plan.rest_every_min, plan.rest_min) = (rest_every_min, rest_min);
        let pin = pinned.filter(|(j, w, _)| plan.jobs.get(*j).is_some_and(|job| *w < job.works.len()));
        plan.pins = pin.map(|(job, work, not_before_min)| Pin { job, work, not_before_min }).into_iter().collect();
        let made = planned(&plan, 40);
        holds(&plan, &made)?;
        prop_assert_eq!(planned(&plan, 40), made, "the same plan from the same seed");
    }
}

/// Lays whole works in every order there is, each as early as it can be: what the best of all orders costs.
fn best_of_all(plan: &Sittings) -> Cost {
    struct At {
        now: f64,
        sitting: usize,
        hands: f64,
        laid: Option<String>,
        barrel: f64,
    }
    fn go(
        plan: &Sittings,
        next: &mut Vec<usize>,
        ready: &mut Vec<f64>,
        at: &At,
        layouts: u32,
        best: &mut Cost,
    ) {
        let left: usize = plan.jobs.iter().zip(next.iter()).map(|(job, next)| job.works.len() - next).sum();
        if left == 0 {
            let late = plan
                .jobs
                .iter()
                .zip(ready.iter())
                .map(|(job, ready)| (ready - job.due_min.unwrap_or(1e9)).max(0.0));
            let cost = (0, late.sum(), layouts, 0.0);
            if cheaper(cost, *best) {
                *best = cost;
            }
            return;
        }
        for j in 0..plan.jobs.len() {
            let Some(work) = plan.jobs[j].works.get(next[j]) else { continue };
            let mut here = At { laid: at.laid.clone(), ..*at };
            let placed = loop {
                let Some(sitting) = plan.sittings.get(here.sitting) else { break None };
                let lays = here.laid.as_deref() != Some(&work.setup);
                let took = work.each_min * f64::from(work.n) + if lays { work.setting_up_min } else { 0.0 };
                let mut from = here.now.max(sitting.from_min).max(ready[j]);
                if work.barrel {
                    let mut runs = (from + took).max(here.barrel);
                    for quiet in &plan.quiet {
                        if runs < quiet.to_min && runs + work.unattended_min > quiet.from_min {
                            runs = quiet.to_min;
                        }
                    }
                    from = runs - took;
                }
                if from + took <= sitting.to_min + EPS && here.hands + took <= plan.most_min + EPS {
                    break Some((from, took, lays));
                }
                here = At { sitting: here.sitting + 1, hands: 0.0, laid: None, ..here };
            };
            let Some((from, took, lays)) = placed else { continue };
            let was = ready[j];
            ready[j] = from + took + work.unattended_min;
            next[j] += 1;
            let after = At {
                now: from + took,
                hands: here.hands + took,
                laid: Some(work.setup.clone()),
                barrel: if work.barrel { ready[j] } else { here.barrel },
                ..here
            };
            go(plan, next, ready, &after, layouts + u32::from(lays), best);
            next[j] -= 1;
            ready[j] = was;
        }
    }
    let mut best = (u32::MAX, f64::INFINITY, u32::MAX, 0.0);
    let start = At { now: 0.0, sitting: 0, hands: 0.0, laid: None, barrel: f64::NEG_INFINITY };
    let n = plan.jobs.len();
    go(plan, &mut vec![0; n], &mut vec![f64::NEG_INFINITY; n], &start, 0, &mut best);
    best
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]
    #[test]
    fn small_cases_are_as_good_as_the_best_of_all_orders(
        jobs in prop::collection::vec((60.0..900.0_f64, prop::collection::vec((5.0..50.0_f64, 0_usize..3, 0_u32..5), 2..4)), 2..4),
    ) {
        let jobs = jobs.into_iter().map(|(due, works)| {
            let works = works.into_iter().map(|(each, setup, kind)| {
                if kind == 0 { tumbled(1.5) } else { work(1, each, ["a", "b", "c"][setup]) }
            });
            job("one", Some(due), works.collect())
        });
        let mut plan = plan_of(jobs.collect(), 3, 5.0);
        plan.rest_every_min = 1000.0;
        let (none, late, layouts, _) = best_of_all(&plan);
        prop_assume!(none == 0);
        let cost = planned(&plan, 4000).cost();
        prop_assert_eq!(cost.0, 0);
        prop_assert!(cost.1 <= 1.05 * late + 1.0, "late {} where {late} would do", cost.1);
        let as_late = cost.1 <= late + 1.0;
        prop_assert!(!as_late || f64::from(cost.2) <= 1.05 * f64::from(layouts) + 1.0, "{} layouts for {layouts}", cost.2);
    }
}

#[test]
fn what_shares_its_tools_is_done_together() {
    let jobs = ["one", "two", "three"]
        .map(|name| job(name, None, vec![work(4, 5.0, "jaw 3"), work(4, 5.0, "jaw 5")]));
    let made = planned(&plan_of(jobs.to_vec(), 2, 6.0), 2000);
    assert_eq!((made.unplaced.len(), made.layouts_n), (0, 2), "{:?}", made.placed);
    assert!(made.placed.iter().any(|one| one.because == Because::SameTools));
}

#[test]
fn what_is_due_first_is_done_first_and_the_barrel_runs_while_hands_do_other_work() {
    let rest = job("later", Some(5000.0), vec![work(30, 4.0, "a")]);
    let first = job("soon", Some(200.0), vec![work(5, 4.0, "b"), tumbled(2.0), work(5, 2.0, "b")]);
    let plan = plan_of(vec![rest, first], 2, 6.0);
    let made = planned(&plan, 500);
    assert!(made.late.is_empty(), "{made:?}");
    let barrel = made.placed.iter().find(|one| one.job == 1 && one.work == 1).unwrap();
    let (from, to) = (barrel.to_min, barrel.alone_to_min.unwrap());
    assert!(made.placed.iter().any(|one| one.job == 0 && one.from_min >= from && one.to_min <= to));
}

#[test]
fn what_finds_no_time_is_named_with_what_would_help() {
    let plan = plan_of(vec![job("too much", Some(100.0), vec![work(40, 10.0, "a")])], 1, 2.0);
    let made = planned(&plan, 100);
    assert!(
        made.unplaced[0].sentence.contains("and the steps after it: add hours, or make fewer"),
        "{}",
        made.unplaced[0].sentence
    );
    let help = plan.help(7, 60).unwrap();
    assert!(help.iter().any(|one| one.sentence.contains("longer")), "{help:?}");
    assert!(plan_of(vec![], 1, 2.0).help(7, 10).unwrap().is_empty());
    let hard = Work { effort_each_min: 900.0, ..work(1, 5.0, "a") };
    let made = planned(&plan_of(vec![job("hard", None, vec![hard])], 1, 2.0), 10);
    assert!(made.unplaced[0].sentence.contains("softer or thinner"), "{}", made.unplaced[0].sentence);
}

#[test]
fn a_pin_holds_and_the_rest_goes_round_it() {
    let jobs = vec![job("one", None, vec![work(4, 5.0, "a")]), job("two", None, vec![work(4, 5.0, "b")])];
    let mut plan = plan_of(jobs, 3, 3.0);
    plan.pins = vec![Pin { job: 0, work: 0, not_before_min: 1440.0 }];
    let made = planned(&plan, 200);
    let first = made.placed.iter().find(|one| one.job == 0).unwrap();
    assert_eq!((first.from_min, first.because), (1440.0, Because::Pinned));
    assert!(made.placed.iter().find(|one| one.job == 1).unwrap().from_min < 100.0);
    plan.pins[0].work = 9;
    assert_eq!(plan.plan(7, &|_| true).unwrap_err().0[0].field, "pins[0]");
}

#[test]
fn time_that_runs_backwards_is_refused_where_it_stands() {
    let mut plan = plan_of(vec![job("one", None, vec![work(1, f64::NAN, "a")])], 2, 3.0);
    plan.sittings[1] = Stretch { from_min: 100.0, to_min: 50.0 };
    plan.most_min = -5.0;
    let fields: Vec<String> =
        plan.plan(7, &|_| true).unwrap_err().0.into_iter().map(|fault| fault.field).collect();
    assert_eq!(fields, ["most_min", "sittings[1]", "jobs[0].works[0]"]);
}
