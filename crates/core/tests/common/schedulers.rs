//! Workshops to be planned, and schedulers of the tests' own that plans are held against.

use lorimant_core::bench::schedule::{
    Cost, INTERRUPTION_MIN, Job, LOAD_MIN, ScheduleRequest, TimeSpan, Work, cheaper,
};
use lorimant_core::chance::Chance;

const EPS: f64 = 1e-6;

pub fn work(n: u32, each_min: f64, setup: &str) -> Work {
    Work {
        named: "bend".to_owned(),
        n,
        setting_up_min: 2.0,
        each_min,
        effort_each_min: each_min,
        unattended_min: 0.0,
        barrel: false,
        fills: 0.0,
        setup: setup.to_owned(),
    }
}

pub fn tumbled(hours: f64) -> Work {
    Work {
        unattended_min: 60.0 * hours,
        barrel: true,
        fills: 0.7,
        effort_each_min: 0.0,
        ..work(1, 5.0, "barrel")
    }
}

pub fn job(name: &str, due_min: Option<f64>, works: Vec<Work>) -> Job {
    Job { name: name.to_owned(), pieces_n: 10, due_min, ready_min: None, works }
}

/// So many days of so many hours from nine in the morning, the barrel silent from ten at night to seven.
pub fn days(n: u32, hours: f64) -> (Vec<TimeSpan>, Vec<TimeSpan>) {
    let day = |i: u32| f64::from(i) * 1440.0;
    let sessions = (0..n).map(|i| TimeSpan { from_min: day(i), to_min: day(i) + 60.0 * hours });
    let quiet = (0..n).map(|i| TimeSpan { from_min: day(i) + 780.0, to_min: day(i) + 1320.0 });
    (sessions.collect(), quiet.collect())
}

pub fn plan_of(jobs: Vec<Job>, n: u32, hours: f64) -> ScheduleRequest {
    let (sessions, quiet) = days(n, hours);
    ScheduleRequest {
        jobs,
        sessions,
        most_min: 600.0,
        most_effort_min: 600.0,
        rest_every_min: 90.0,
        rest_min: 10.0,
        quiet,
        barrel_busy_to_min: None,
        pins: vec![],
    }
}

/// A workshop with more to do than there is time for, half of it without a due day.
pub fn busy(seed: u64) -> ScheduleRequest {
    let mut chance = Chance::of(seed);
    let jobs = (0..3 + chance.below(12)).map(|i| {
        let n = 4 + u32::try_from(chance.below(60)).unwrap();
        let works = (0..3 + chance.below(5)).map(|_| match chance.below(6) {
            0 => Work { fills: f64::from(n) / 80.0, ..tumbled(2.0) },
            _ => Work {
                effort_each_min: chance.between(0.1, 1.0),
                ..work(n, chance.between(0.2, 1.5), ["a", "b", "c", "d"][chance.below(4)])
            },
        });
        let works = works.collect();
        let due = (chance.share() < 0.5).then(|| chance.between(500.0, 9000.0));
        Job { pieces_n: n, ..job(&format!("batch {i}"), due, works) }
    });
    let jobs: Vec<Job> = jobs.collect();
    let mut plan = plan_of(jobs, 8, 3.0);
    plan.rest_every_min = 45.0;
    plan
}

/// Of a work its minutes, which tools it takes, and its kind: 0 is tumbled.
pub type Brief = (f64, usize, u32);

/// A few batches, each with its due minute, that can be planned in every order there is.
pub fn few(jobs: Vec<(f64, Vec<Brief>)>) -> ScheduleRequest {
    let jobs = jobs.into_iter().map(|(due, works)| {
        let works = works.into_iter().map(|(each, setup, kind)| {
            if kind == 0 { tumbled(1.5) } else { work(1, each, ["a", "b", "c"][setup]) }
        });
        job("one", Some(due), works.collect())
    });
    let mut plan = plan_of(jobs.collect(), 3, 5.0);
    plan.rest_every_min = 1000.0;
    plan
}

/// Places whole works in every order there is, each as early as it can be: what the best of all orders costs.
pub fn best_of_all(plan: &ScheduleRequest) -> Option<Cost> {
    #[derive(Clone)]
    struct At {
        now: f64,
        session: usize,
        hands: f64,
        laid: Option<String>,
        barrel: f64,
        last: Option<usize>,
        changes: f64,
    }
    /// Where a work would go: the moment, how long it takes, and the bench by then.
    fn goes(plan: &ScheduleRequest, work: &Work, ready: f64, at: &At) -> Option<(f64, f64, At)> {
        let mut here = at.clone();
        loop {
            let session = plan.sessions.get(here.session)?;
            let lays = here.laid.as_deref() != Some(&work.setup);
            let took = work.each_min * f64::from(work.n) + if lays { work.setting_up_min } else { 0.0 };
            let mut from = here.now.max(session.from_min).max(ready);
            if work.barrel {
                let mut runs = (from + took).max(here.barrel);
                for quiet in &plan.quiet {
                    if runs < quiet.to_min && runs + work.unattended_min > quiet.from_min {
                        runs = quiet.to_min;
                    }
                }
                from = runs - took;
            }
            if from + took <= session.to_min + EPS && here.hands + took <= plan.most_min + EPS {
                return Some((from, took, here));
            }
            here = At { session: here.session + 1, hands: 0.0, laid: None, ..here };
        }
    }
    fn go(
        plan: &ScheduleRequest,
        next: &mut Vec<usize>,
        ready: &mut Vec<f64>,
        at: &At,
        best: &mut Option<Cost>,
    ) {
        let left: usize = plan.jobs.iter().zip(next.iter()).map(|(job, next)| job.works.len() - next).sum();
        if left == 0 {
            let late = || {
                plan.jobs
                    .iter()
                    .zip(ready.iter())
                    .map(|(job, ready)| (job.pieces_n, (ready - job.due_min.unwrap_or(1e9)).max(0.0)))
                    .filter(|(_, late)| *late > EPS)
            };
            let cost = Cost {
                late_n: late().map(|(n, _)| n).sum(),
                late_piece_min: late().map(|(n, late)| f64::from(n) * late).sum(),
                unplaced_n: 0,
                changes_min: at.changes,
                ends_min: 0.0,
            };
            if best.is_none_or(|best| cheaper(cost, best)) {
                *best = Some(cost);
            }
            return;
        }
        for j in 0..plan.jobs.len() {
            let Some(work) = plan.jobs[j].works.get(next[j]) else { continue };
            let Some((from, took, here)) = goes(plan, work, ready[j], at) else { continue };
            let lays = here.laid.as_deref() != Some(&work.setup);
            let left = at.last.filter(|last| *last != j).is_some_and(|last| {
                let could = plan.jobs[last].works.get(next[last]);
                could
                    .filter(|work| !work.barrel)
                    .and_then(|work| goes(plan, work, ready[last], &here))
                    .is_some_and(|(at, ..)| at <= from + EPS)
            });
            let was = ready[j];
            ready[j] = from + took + work.unattended_min;
            next[j] += 1;
            let after = At {
                now: from + took,
                hands: here.hands + took,
                laid: Some(work.setup.clone()),
                barrel: if work.barrel { ready[j] } else { here.barrel },
                last: Some(j),
                changes: here.changes
                    + if lays { work.setting_up_min } else { 0.0 }
                    + if left { INTERRUPTION_MIN } else { 0.0 }
                    + if work.barrel { LOAD_MIN } else { 0.0 },
                ..here
            };
            go(plan, next, ready, &after, best);
            next[j] -= 1;
            ready[j] = was;
        }
    }
    let mut best = None;
    let start = At {
        now: 0.0,
        session: 0,
        hands: 0.0,
        laid: None,
        barrel: f64::NEG_INFINITY,
        last: None,
        changes: 0.0,
    };
    let n = plan.jobs.len();
    go(plan, &mut vec![0; n], &mut vec![f64::NEG_INFINITY; n], &start, &mut best);
    best
}

/// Pieces done by their due day where whoever sits at the bench always takes what is due first of all that can be done.
pub fn on_time_by_due_day(plan: &ScheduleRequest) -> u32 {
    let n = plan.jobs.len();
    let (mut next, mut left) = (vec![0; n], vec![0; n]);
    let mut ready = vec![f64::NEG_INFINITY; n];
    for (j, job) in plan.jobs.iter().enumerate() {
        left[j] = job.works.first().map_or(0, |work| work.n);
    }
    let mut barrel = f64::NEG_INFINITY;
    for session in &plan.sessions {
        let (mut now, mut hands, mut effort, mut since) = (session.from_min, 0.0, 0.0, 0.0);
        let mut laid: Option<&str> = None;
        loop {
            let starts = |j: usize| {
                let work: &Work = plan.jobs[j].works.get(next[j])?;
                let lays = if laid == Some(work.setup.as_str()) { 0.0 } else { work.setting_up_min };
                let one = lays + work.each_min;
                let mut from = ready[j].max(now);
                if work.barrel {
                    let mut runs = (from + one).max(barrel);
                    for quiet in &plan.quiet {
                        if runs < quiet.to_min && runs + work.unattended_min > quiet.from_min {
                            runs = quiet.to_min;
                        }
                    }
                    from = runs - one;
                }
                let fits = from + one <= session.to_min
                    && hands + one <= plan.most_min
                    && effort + work.effort_each_min <= plan.most_effort_min;
                fits.then_some((from, j, lays))
            };
            let can: Vec<(f64, usize, f64)> = (0..n).filter_map(starts).collect();
            let Some(soon) = can.iter().map(|one| one.0).reduce(f64::min) else { break };
            let due = |j: usize| plan.jobs[j].due_min.unwrap_or(f64::INFINITY);
            let first = can.into_iter().filter(|one| one.0 <= soon + EPS);
            let (from, j, lays) = first.min_by(|a, b| due(a.1).total_cmp(&due(b.1))).unwrap();
            let work = &plan.jobs[j].works[next[j]];
            if from - now >= plan.rest_min {
                since = 0.0;
            }
            if since + lays + work.each_min > plan.rest_every_min {
                now += plan.rest_min;
                since = 0.0;
                continue;
            }
            now = from + lays + work.each_min;
            hands += lays + work.each_min;
            since += lays + work.each_min;
            effort += work.effort_each_min;
            laid = Some(&work.setup);
            left[j] -= 1;
            ready[j] = now;
            if work.unattended_min > 0.0 && (work.barrel || left[j] == 0) {
                ready[j] = now + work.unattended_min;
                if work.barrel {
                    barrel = ready[j];
                }
            }
            if left[j] == 0 {
                next[j] += 1;
                left[j] = plan.jobs[j].works.get(next[j]).map_or(0, |work| work.n);
            }
        }
    }
    let done = |j: &usize| next[*j] >= plan.jobs[*j].works.len();
    let in_time = |j: &usize| plan.jobs[*j].due_min.is_some_and(|due| ready[*j] <= due);
    (0..n).filter(done).filter(in_time).map(|j| plan.jobs[j].pieces_n).sum()
}
