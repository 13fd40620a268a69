//! What the planner is given: jobs, hours, what is held by hand, what runs already.

use jiff::civil::Date;
use jiff::{Timestamp, ZonedDateTime};

use super::{Alone, JobOf, ScheduleChange, Unmet, Wanted};
use crate::bench::schedule::hours::{Hours, end_of};
use crate::bench::schedule::{Job, Pin, ScheduleRequest, TimeSpan, Work};
use crate::bench::times::Times;
use crate::tool::gear::Gear;

/// What a job of the plan is called.
#[derive(Debug, Clone)]
pub(super) struct Named {
    pub of: JobOf,
    pub orders: Vec<i64>,
    pub name: String,
    /// How many it is, in words.
    pub counted: String,
    pub due: Option<Date>,
}

/// A work of the plan: whose step it is.
#[derive(Debug, Clone)]
pub(super) struct Index {
    pub step_n: u32,
    pub of_n: u32,
}

/// What is to be made, laid out for the planner.
#[derive(Debug, Clone)]
pub struct Laid {
    /// What the planner is given.
    pub sessions: ScheduleRequest,
    pub(super) begins: ZonedDateTime,
    pub(super) wanted: Vec<Named>,
    pub(super) index: Vec<Vec<Index>>,
    pub(super) skipped: Vec<TimeSpan>,
    pub(super) running: Vec<Alone>,
    pub(super) cannot: Vec<Unmet>,
}

impl Laid {
    /// Lays out what is to be made over so many days from a moment on; minutes are the workshop's own where it has learned
    /// them.
    #[must_use]
    pub fn out(
        wanted: &[Wanted],
        (hours, gear, times): (&Hours, &Gear, &Times),
        holds: &[ScheduleChange],
        begins: &ZonedDateTime,
        days: u32,
    ) -> Self {
        let now = begins.timestamp();
        let min_at = |at: Timestamp| now.duration_until(at).as_secs_f64() / 60.0;
        let is_skipped = |one: &TimeSpan| {
            holds.iter().any(|hold| match hold {
                ScheduleChange::Skipped { from } => (min_at(*from).max(0.0) - one.from_min).abs() < 0.5,
                _ => false,
            })
        };
        let (skipped, sessions): (Vec<TimeSpan>, Vec<TimeSpan>) =
            hours.sessions(begins, days).into_iter().partition(is_skipped);
        let mut laid = Self {
            sessions: ScheduleRequest {
                jobs: vec![],
                sessions,
                most_min: hours.most_min,
                most_effort_min: hours.most_effort_min,
                rest_every_min: hours.rest_every_min,
                rest_min: hours.rest_min,
                quiet: hours.quiet(begins, days),
                barrel_busy_to_min: None,
                pins: vec![],
            },
            begins: begins.clone(),
            wanted: vec![],
            index: vec![],
            skipped,
            running: vec![],
            cannot: vec![],
        };
        for one in wanted {
            let due_min = one.due.and_then(|day| end_of(now, day, begins.time_zone()));
            let mut job = Job::of(&one.batch, &one.tasks, &one.progress, gear.barrel_g, due_min);
            let left = one
                .tasks
                .iter()
                .zip(&one.progress.tasks)
                .enumerate()
                .filter(|(_, (_, there))| there.left_n > 0);
            let mut works = vec![];
            let mut index = vec![];
            let mut ready_min: Option<f64> = None;
            let at_job = laid.sessions.jobs.len();
            for ((i, (task, there)), mut work) in left.zip(job.works.drain(..)) {
                if let (Some(from), Some(ready)) = (there.started_at, there.ready_at) {
                    // It runs already: nothing but its end is waited for.
                    ready_min = Some(min_at(ready).max(0.0));
                    if work.barrel {
                        let busy_to = laid.sessions.barrel_busy_to_min.unwrap_or(0.0);
                        laid.sessions.barrel_busy_to_min = Some(busy_to.max(min_at(ready)));
                    }
                    laid.running.push(Alone {
                        of: one.of,
                        name: one.batch.name.clone(),
                        named: work.named,
                        barrel: work.barrel,
                        from,
                        to: ready,
                    });
                    continue;
                }
                let pace = times.share(task.step.operation);
                work.each_min *= pace;
                work.effort_each_min *= pace;
                let step_n = u32::try_from(i + 1).unwrap_or(u32::MAX);
                let mut pin = |work: usize, at_min: f64| {
                    laid.sessions.pins.push(Pin { job: at_job, work, not_before_min: at_min });
                };
                let of_n = work.n;
                let mut parted = None;
                for hold in holds {
                    match hold {
                        ScheduleChange::NotBefore { of, step_n: step, at }
                            if *of == one.of && *step == step_n =>
                        {
                            pin(works.len(), min_at(*at));
                        }
                        ScheduleChange::Parted { of, step_n: step, first_n, at }
                            if *of == one.of && *step == step_n =>
                        {
                            parted = Some((*first_n, min_at(*at)));
                        }
                        _ => {}
                    }
                }
                match parted.filter(|(first_n, _)| (1..of_n).contains(first_n)) {
                    Some((first_n, at_min)) => {
                        works.push(Work { n: first_n, ..work.clone() });
                        pin(works.len(), at_min);
                        works.push(Work { n: of_n - first_n, ..work });
                        index.extend([Index { step_n, of_n }, Index { step_n, of_n }]);
                    }
                    None => {
                        works.push(work);
                        index.push(Index { step_n, of_n });
                    }
                }
            }
            if !works.is_empty() {
                laid.sessions.jobs.push(Job { ready_min, works, ..job });
                laid.index.push(index);
                laid.wanted.push(Named {
                    of: one.of,
                    orders: one.orders.clone(),
                    name: one.batch.name.clone(),
                    counted: one.batch.piece.counted_as(one.batch.whole(&one.progress).0),
                    due: one.due,
                });
            }
        }
        laid
    }

    /// The same with what one order wants placed before everything else without a due day, where it has none itself: what
    /// somebody waits for comes before what is for stock.
    #[must_use]
    pub fn before_the_undated(mut self, order: i64) -> Self {
        let over = self.sessions.sessions.last().map(|last| last.to_min);
        for (job, named) in self.sessions.jobs.iter_mut().zip(&self.wanted) {
            if named.orders.contains(&order) {
                job.due_min = job.due_min.or(over);
            }
        }
        self
    }

    /// The same with what cannot be laid out at all, to be said with the plan.
    #[must_use]
    pub fn but_for(self, cannot: Vec<Unmet>) -> Self {
        Self { cannot, ..self }
    }
}
