//! The schedule: whatever is planned, nothing is done before its time, at once, past a limit or in quiet hours; and little is
//! late that need not be.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::schedulers::{best_of_all, busy, few, job, on_time_by_due_day, plan_of, tumbled, work};
use lorimant_core::bench::schedule::help::Way;
use lorimant_core::bench::schedule::search::Progress;
use lorimant_core::bench::schedule::{Because, Job, Pin, Planned, ScheduleRequest, TimeSpan, Work};
use proptest::prelude::*;

const EPS: f64 = 1e-6;

fn planned(plan: &ScheduleRequest, tries_n: u32) -> Planned {
    plan.plan(7, &|at: Progress| at.tried_n < tries_n).unwrap()
}

/// Every law at once.
fn holds(plan: &ScheduleRequest, made: &Planned) -> Result<(), TestCaseError> {
    let mut hands: Vec<(f64, f64)> = vec![];
    let mut barrel: Vec<(f64, f64, f64, String)> = vec![];
    for one in &made.placed {
        let work = &plan.jobs[one.job].works[one.work];
        let session = plan.sessions[one.session];
        prop_assert!(one.from_min >= session.from_min - EPS && one.to_min <= session.to_min + EPS, "{one:?}");
        let took = f64::from(one.n) * work.each_min + if one.sets_up { work.setting_up_min } else { 0.0 };
        prop_assert!((one.to_min - one.from_min - took).abs() < EPS);
        hands.push((one.from_min, one.to_min));
        if work.barrel {
            // It runs once all that shares the load is in.
            let to = one.alone_to_min.unwrap();
            let from = to - work.unattended_min;
            prop_assert!(from >= one.to_min - EPS);
            prop_assert!(
                plan.quiet.iter().all(|quiet| to <= quiet.from_min + EPS || from >= quiet.to_min - EPS)
            );
            barrel.push((from, to, work.fills, work.setup.clone()));
        }
        if let Some(pin) = plan.pins.iter().find(|pin| (pin.job, pin.work) == (one.job, one.work)) {
            prop_assert!(one.from_min >= pin.not_before_min - EPS);
        }
    }
    // One pair of hands; one load in the barrel, which holds no more than it does, all of it alike.
    hands.sort_by(|a, b| a.0.total_cmp(&b.0));
    prop_assert!(hands.windows(2).all(|pair| pair[0].1 <= pair[1].0 + EPS), "{hands:?}");
    barrel.sort_by(|a, b| a.0.total_cmp(&b.0));
    for pair in barrel.windows(2) {
        let together = (pair[0].0 - pair[1].0).abs() < EPS && pair[0].3 == pair[1].3;
        prop_assert!(together || pair[0].1 <= pair[1].0 + EPS, "{barrel:?}");
    }
    for load in &barrel {
        let fills: f64 = barrel.iter().filter(|one| (one.0 - load.0).abs() < EPS).map(|one| one.2).sum();
        prop_assert!(fills <= 1.0 + EPS, "{barrel:?}");
    }
    for session in 0..plan.sessions.len() {
        let here = || made.placed.iter().filter(|one| one.session == session);
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
                one = Work { n: n.min(3), fills: each / 20.0, ..tumbled(2.0) };
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

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]
    #[test]
    fn small_cases_are_as_good_as_the_best_of_all_orders(
        jobs in prop::collection::vec((60.0..900.0_f64, prop::collection::vec((5.0..50.0_f64, 0_usize..3, 0_u32..5), 2..4)), 2..4),
    ) {
        let plan = few(jobs);
        let Some(best) = best_of_all(&plan) else { return Ok(()) };
        let cost = planned(&plan, 4000).cost;
        prop_assert!(cost.late_n <= best.late_n, "{cost:?} where {best:?} would do");
        let as_few = cost.late_n == best.late_n;
        prop_assert!(!as_few || cost.late_piece_min <= 1.05 * best.late_piece_min + 10.0, "{cost:?} {best:?}");
        let as_late = as_few && cost.late_piece_min <= best.late_piece_min + 10.0;
        prop_assert!(!as_late || cost.changes_min <= 1.05 * best.changes_min + 2.0, "{cost:?} {best:?}");
    }
}

#[test]
fn never_fewer_pieces_are_on_time_than_by_due_day_alone() {
    for seed in 0..200 {
        let plan = busy(seed);
        let due_n: u32 = plan.jobs.iter().filter(|job| job.due_min.is_some()).map(|job| job.pieces_n).sum();
        let made = planned(&plan, 120);
        let on_time = due_n - made.cost.late_n;
        let by_due_day = on_time_by_due_day(&plan);
        assert!(on_time >= by_due_day, "{seed}: {on_time} pieces on time where {by_due_day} would be");
        holds(&plan, &made).unwrap();
    }
}

/// However much there is without a due day, it takes no minute from what a customer waits for.
#[test]
fn undated_work_never_makes_due_work_late() {
    let hooks = Job {
        pieces_n: 60,
        ..job("hooks", Some(7.0 * 1440.0), vec![work(60, 3.0, "a"), work(60, 2.0, "b")])
    };
    let alone = planned(&plan_of(vec![hooks.clone()], 10, 2.0), 200);
    assert!(alone.late.is_empty() && alone.unplaced.is_empty());
    for n in [100, 800, 8000] {
        let pins = Job { pieces_n: n, ..job("pins", None, vec![work(n, 1.0, "b"), work(n, 0.5, "a")]) };
        let made = planned(&plan_of(vec![pins, hooks.clone()], 10, 2.0), 200);
        assert_eq!(made.cost.late_n, 0, "{n} pins: {:?}", made.unplaced);
    }
}

/// Every reason, worked out again from the plan alone.
#[test]
fn reasons_are_true() {
    let mut told = std::collections::BTreeMap::new();
    for seed in 0..60 {
        let mut plan = busy(seed);
        plan.pins = vec![Pin { job: 0, work: 1, not_before_min: 1500.0 }];
        let made = planned(&plan, 60);
        for (i, one) in made.placed.iter().enumerate() {
            *told.entry(format!("{:?}", one.because)).or_insert(0) += 1;
            let before = &made.placed[..i];
            let last = before.last();
            let own_last = before.iter().rfind(|other| other.job == one.job);
            let ready = own_last.map_or(0.0, |last| last.alone_to_min.unwrap_or(last.to_min));
            let held = plan.pins.iter().any(|pin| {
                (pin.job, pin.work) == (one.job, one.work) && (pin.not_before_min - one.from_min).abs() < 1e-3
            });
            let mine = plan.jobs[one.job].due_min;
            // Jobs that have work left by then, with the moment it could go on but for tools and the barrel.
            let open = plan.jobs.iter().enumerate().filter(|(j, _)| *j != one.job).filter_map(|(j, job)| {
                let done: u32 = before.iter().filter(|other| other.job == j).map(|other| other.n).sum();
                let all: u32 = job.works.iter().map(|work| work.n).sum();
                (done < all).then_some(())?;
                Some(job.due_min)
            });
            let earlier = open.flatten().filter(|due| mine.is_none_or(|mine| *due < mine)).count();
            let work = &plan.jobs[one.job].works[one.work];
            match one.because {
                Because::Pinned => assert!(held),
                Because::Ready => {
                    assert!((one.from_min - ready).abs() < 1e-3);
                    assert!(own_last.unwrap().alone_to_min.is_some());
                }
                Because::BarrelFree => assert!(work.barrel),
                Because::Continues => assert_eq!(last.unwrap().job, one.job),
                Because::SameTools => assert!(!one.sets_up || work.barrel),
                Because::Due => assert!(mine.is_some() && earlier == 0, "{seed} {one:?}"),
                // What is due before it is there, and could not go on or finds no time at all.
                Because::WhileOthersWait | Because::BetterOrder => assert!(earlier > 0, "{seed} {one:?}"),
                Because::NothingDue => assert!(mine.is_none(), "{seed} {one:?}"),
            }
        }
    }
    assert!(told.len() >= 7, "{told:?}");
}

/// Four batches of an evening are four lines, not forty: a batch that is begun goes on.
#[test]
fn a_batch_that_is_begun_goes_on() {
    let of = |name: &str, due: f64| {
        let works =
            (0..9).map(|i| Work { setting_up_min: 1.0, ..work(12, 0.25, &format!("tool {}", i % 5)) });
        job(name, Some(due), works.collect())
    };
    let jobs = vec![of("one", 3000.0), of("two", 2000.0), of("three", 4000.0), of("four", 9000.0)];
    let made = planned(&plan_of(jobs, 1, 4.0), 300);
    let changes = made.placed.windows(2).filter(|pair| pair[0].job != pair[1].job).count();
    assert_eq!((changes, made.interruptions_n), (3, 0), "{:?}", made.placed);
    assert_eq!(made.placed[0].job, 1, "the first due is the first done");
}

/// Small batches of one metal share a load; three loads of a large one are each as long as one.
#[test]
fn the_barrel_is_shared_and_its_loads_are_counted_once() {
    let small = |name: &str| job(name, None, vec![work(4, 2.0, "a"), Work { fills: 0.3, ..tumbled(2.0) }]);
    let made = planned(&plan_of(vec![small("one"), small("two"), small("three")], 2, 6.0), 300);
    let runs: std::collections::BTreeSet<u64> =
        made.placed.iter().filter_map(|one| one.alone_to_min).map(f64::to_bits).collect();
    assert_eq!(runs.len(), 1, "{:?}", made.placed);
    let loads = Work { n: 3, fills: 0.9, ..tumbled(2.0) };
    let made = planned(&plan_of(vec![job("large", None, vec![loads])], 2, 10.0), 50);
    let alone: f64 = made.placed.iter().map(|one| one.alone_to_min.unwrap() - one.to_min).sum();
    assert!((alone - 360.0).abs() < 1.0, "three loads of two hours: {alone}");
}

/// What runs in the barrel already has to come out first.
#[test]
fn a_load_that_runs_is_waited_for() {
    let mut plan = plan_of(vec![job("one", None, vec![tumbled(1.0)])], 1, 6.0);
    plan.barrel_busy_to_min = Some(90.0);
    let made = planned(&plan, 10);
    assert!(made.placed[0].to_min >= 90.0 - EPS && made.placed[0].because == Because::BarrelFree);
}

/// Tools that take long to set up are shared across batches; a jaw that is picked up again is not worth leaving a batch for.
#[test]
fn only_tools_that_take_long_are_shared_across_batches() {
    let of = |setting_up_min: f64| {
        let works = ["jig", "press"].map(|setup| Work { setting_up_min, ..work(4, 5.0, setup) });
        let jobs = ["one", "two", "three"].map(|name| job(name, None, works.to_vec()));
        planned(&plan_of(jobs.to_vec(), 2, 6.0), 2000)
    };
    let long = of(20.0);
    assert_eq!((long.unplaced.len(), long.layouts_n), (0, 2), "{:?}", long.placed);
    assert!(long.placed.iter().any(|one| one.because == Because::SameTools));
    let short = of(1.0);
    assert_eq!(short.interruptions_n, 0, "{:?}", short.placed);
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
        made.unplaced[0].text.contains("and the steps after it: add hours, or make fewer"),
        "{}",
        made.unplaced[0].text
    );
    // An hour and a half of work is left over, or nine pieces' worth: as little as helps is told.
    let plan = plan_of(
        vec![Job { pieces_n: 40, ..job("too much", Some(1000.0), vec![work(40, 5.0, "a")]) }],
        1,
        2.0,
    );
    let help = plan.help(7, 60).unwrap();
    let more = help.iter().find_map(|one| match one.way {
        Way::MoreTime { min, session: 0 } if one.in_time => Some(min),
        _ => None,
    });
    let fewer = help.iter().find_map(|one| match one.way {
        Way::Fewer { job: 0, n } if one.in_time => Some(n),
        _ => None,
    });
    // The session of 120 minutes holds tools (2), 17 pieces (85), a rest (10) and 4 pieces more (20). The other 19 take tools
    // (2), 17 of them (85), a rest (10) and 2 more (10): 107 minutes, added by fives.
    assert_eq!((more, fewer), (Some(110.0), Some(19)), "{help:?}");
    // Nothing is promised for what was due before.
    let over = plan_of(vec![job("late", Some(-100.0), vec![work(4, 5.0, "a")])], 1, 2.0);
    assert_eq!(over.help(7, 20).unwrap(), vec![]);
    assert!(plan_of(vec![], 1, 2.0).help(7, 10).unwrap().is_empty());
    let hard = Work { effort_each_min: 900.0, ..work(1, 5.0, "a") };
    let made = planned(&plan_of(vec![job("hard", None, vec![hard])], 1, 2.0), 10);
    assert!(made.unplaced[0].text.contains("softer or thinner"), "{}", made.unplaced[0].text);
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
    plan.sessions[1] = TimeSpan { from_min: 100.0, to_min: 50.0 };
    plan.most_min = -5.0;
    let fields: Vec<String> =
        plan.plan(7, &|_| true).unwrap_err().0.into_iter().map(|fault| fault.field).collect();
    assert_eq!(fields, ["most_min", "sessions[1]", "jobs[0].works[0]"]);
}
