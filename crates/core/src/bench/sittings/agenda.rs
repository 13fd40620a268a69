//! The agenda: everything that is to be made, laid into the hours at the bench, with its day and its clock.
//!
//! [`Laid::out`] turns batches and lines of orders into works, hours into stretches and what is held by hand into pins;
//! [`Laid::agenda`] turns the plan that was found back into days, steps and reasons.

use jiff::civil::Date;
use jiff::{Timestamp, ZonedDateTime};
use serde::{Deserialize, Serialize};

use super::help::Help;
use super::hours::{Hours, after, end_of};
use super::{Because, Job, Pin, Placed, Planned, Sittings, Stretch};
use crate::bench::times::Times;
use crate::bench::{Batch, BatchStanding, Task};
use crate::fault::Fault;
use crate::tool::gear::Gear;
use crate::words::counted;

/// Whose work it is.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub enum JobOf {
    /// A batch on its way, by its number.
    Batch(i64),
    /// A line of an order that is not begun.
    Line {
        /// Number of the order.
        order: i64,
        /// The line, by its place.
        line: usize,
    },
}

/// Something that is to be made.
#[derive(Debug, Clone)]
pub struct Wanted {
    /// Whose work it is.
    pub of: JobOf,
    /// What is made.
    pub batch: Batch,
    /// Its tasks.
    pub tasks: Vec<Task>,
    /// How far it is.
    pub standing: BatchStanding,
    /// The day it is due.
    pub due: Option<Date>,
}

/// What is held by hand.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub enum Hold {
    /// A step is not begun before a moment.
    NotBefore {
        /// Whose.
        of: JobOf,
        /// The step, from 1.
        step_n: u32,
        /// The moment.
        #[cfg_attr(feature = "schema", schema(value_type = String))]
        at: Timestamp,
    },
    /// A step is parted: so many are done when there is time, the others not before a moment.
    Parted {
        /// Whose.
        of: JobOf,
        /// The step, from 1.
        step_n: u32,
        /// How many are done first.
        first_n: u32,
        /// The moment.
        #[cfg_attr(feature = "schema", schema(value_type = String))]
        at: Timestamp,
    },
    /// A sitting is left out.
    Skipped {
        /// When it would begin.
        #[cfg_attr(feature = "schema", schema(value_type = String))]
        from: Timestamp,
    },
}

impl Hold {
    /// Whose step is held, and which; nothing of a sitting.
    #[must_use]
    pub fn of(&self) -> Option<(JobOf, u32)> {
        match self {
            Self::NotBefore { of, step_n, .. } | Self::Parted { of, step_n, .. } => Some((*of, *step_n)),
            Self::Skipped { .. } => None,
        }
    }

    /// Whether it still means something: its job is still to be made, or its sitting is not over.
    #[must_use]
    pub fn stands(&self, wanted: &[Wanted], now: Timestamp) -> bool {
        match self {
            // A sitting ends the day it begins.
            Self::Skipped { from } => from.duration_until(now).as_hours() < 24,
            Self::NotBefore { of, .. } | Self::Parted { of, .. } => wanted.iter().any(|one| one.of == *of),
        }
    }

    /// Checks that there is such a step to hold.
    ///
    /// # Errors
    /// A fault at `of` where its job is not to be made, or has no such step.
    pub fn check(&self, wanted: &[Wanted]) -> Result<(), Fault> {
        let Some((of, step_n)) = self.of() else { return Ok(()) };
        let steps_n = wanted.iter().find(|one| one.of == of).map_or(0, |one| one.tasks.len());
        if usize::try_from(step_n).is_ok_and(|n| (1..=steps_n).contains(&n)) {
            return Ok(());
        }
        let said = "There is no such step to pin. Its batch or order is closed, or has fewer steps.";
        Err(Fault::new("of", said))
    }
}

/// A step in a sitting, or a part of one.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct SatWork {
    /// Whose.
    pub of: JobOf,
    /// What that is called.
    pub name: String,
    /// The step, from 1.
    pub step_n: u32,
    /// What it is, in two or three words.
    pub named: String,
    /// How many are done.
    pub n: u32,
    /// How many of it there are to do in all.
    pub of_n: u32,
    /// Hands begin.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub from: Timestamp,
    /// Hands are done.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub to: Timestamp,
    /// Whether tools are laid out for it.
    pub lays_out: bool,
    /// Why it stands there.
    pub because: Because,
    /// The same in a sentence.
    pub why: String,
}

/// A sitting with what is done in it.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct AgendaSitting {
    /// It begins.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub from: Timestamp,
    /// It ends.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub to: Timestamp,
    /// The day, by the clock on the wall.
    #[cfg_attr(feature = "schema", schema(value_type = String, format = Date))]
    pub day: Date,
    /// `18:00 to 20:00`, by the clock on the wall.
    pub clock: String,
    /// Whether it was left out by hand.
    pub skipped: bool,
    /// Minutes of hand work.
    pub hands_min: f64,
    /// What hands feel of it, as minutes of bending 20 AWG soft copper.
    pub effort_min: f64,
    /// What is done, in order.
    pub works: Vec<SatWork>,
}

/// What runs by itself.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Alone {
    /// Whose.
    pub of: JobOf,
    /// What that is called.
    pub name: String,
    /// What it is, in two or three words.
    pub named: String,
    /// Whether it is in the barrel.
    pub barrel: bool,
    /// It begins.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub from: Timestamp,
    /// It is done.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub to: Timestamp,
}

/// What cannot be met.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Unmet {
    /// Whose.
    pub of: JobOf,
    /// What, in a sentence.
    pub sentence: String,
}

/// Everything that is to be made, day by day.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Agenda {
    /// The moment it is reckoned from.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub begins: Timestamp,
    /// Sittings, one after another, those without work among them.
    pub sittings: Vec<AgendaSitting>,
    /// What runs by itself.
    pub alone: Vec<Alone>,
    /// What comes too late, and what finds no time.
    pub unmet: Vec<Unmet>,
    /// What would help.
    pub help: Vec<Help>,
    /// How often tools are laid out.
    pub layouts_n: u32,
}

/// A work of the plan: whose step it is.
#[derive(Debug, Clone)]
struct Index {
    step_n: u32,
    of_n: u32,
}

/// What is to be made, laid out for the planner.
#[derive(Debug, Clone)]
pub struct Laid {
    /// What the planner is given.
    pub sittings: Sittings,
    begins: ZonedDateTime,
    wanted: Vec<(JobOf, String, Option<Date>)>,
    index: Vec<Vec<Index>>,
    skipped: Vec<Stretch>,
    running: Vec<Alone>,
    cannot: Vec<Unmet>,
}

impl Laid {
    /// Lays out what is to be made over so many days from a moment on; minutes are the workshop's own where it has learned
    /// them.
    #[must_use]
    pub fn out(
        wanted: &[Wanted],
        (hours, gear, times): (&Hours, &Gear, &Times),
        holds: &[Hold],
        begins: &ZonedDateTime,
        days: u32,
    ) -> Self {
        let now = begins.timestamp();
        let min_at = |at: Timestamp| now.duration_until(at).as_secs_f64() / 60.0;
        let is_skipped = |one: &Stretch| {
            holds.iter().any(|hold| match hold {
                Hold::Skipped { from } => (min_at(*from).max(0.0) - one.from_min).abs() < 0.5,
                _ => false,
            })
        };
        let (skipped, sittings): (Vec<Stretch>, Vec<Stretch>) =
            hours.sittings(begins, days).into_iter().partition(is_skipped);
        let mut laid = Self {
            sittings: Sittings {
                jobs: vec![],
                sittings,
                most_min: hours.most_min,
                most_effort_min: hours.most_effort_min,
                rest_every_min: hours.rest_every_min,
                rest_min: hours.rest_min,
                quiet: hours.quiet(begins, days),
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
            let mut job = Job::of(&one.batch, &one.tasks, &one.standing, gear.barrel_g, due_min);
            let left = one
                .tasks
                .iter()
                .zip(&one.standing.tasks)
                .enumerate()
                .filter(|(_, (_, there))| there.left_n > 0);
            let mut works = vec![];
            let mut index = vec![];
            let mut not_before: Option<f64> = None;
            let at_job = laid.sittings.jobs.len();
            for ((i, (task, there)), mut work) in left.zip(job.works.drain(..)) {
                if let (Some(from), Some(ready)) = (there.started_at, there.ready_at) {
                    // It runs already: nothing but its end is waited for.
                    not_before = Some(min_at(ready).max(0.0));
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
                    laid.sittings.pins.push(Pin { job: at_job, work, not_before_min: at_min });
                };
                if let Some(at_min) = not_before.take() {
                    pin(works.len(), at_min);
                }
                let of_n = work.n;
                let mut parted = None;
                for hold in holds {
                    match hold {
                        Hold::NotBefore { of, step_n: step, at } if *of == one.of && *step == step_n => {
                            pin(works.len(), min_at(*at));
                        }
                        Hold::Parted { of, step_n: step, first_n, at }
                            if *of == one.of && *step == step_n =>
                        {
                            parted = Some((*first_n, min_at(*at)));
                        }
                        _ => {}
                    }
                }
                match parted.filter(|(first_n, _)| (1..of_n).contains(first_n)) {
                    Some((first_n, at_min)) => {
                        works.push(super::Work { n: first_n, ..work.clone() });
                        pin(works.len(), at_min);
                        works.push(super::Work { n: of_n - first_n, ..work });
                        index.extend([Index { step_n, of_n }, Index { step_n, of_n }]);
                    }
                    None => {
                        works.push(work);
                        index.push(Index { step_n, of_n });
                    }
                }
            }
            if !works.is_empty() {
                laid.sittings.jobs.push(Job { works, ..job });
                laid.index.push(index);
                laid.wanted.push((one.of, one.batch.name.clone(), one.due));
            }
        }
        laid
    }

    /// The same with what cannot be laid out at all, to be said with the plan.
    #[must_use]
    pub fn but_for(self, cannot: Vec<Unmet>) -> Self {
        Self { cannot, ..self }
    }

    /// The plan that was found, day by day.
    #[must_use]
    pub fn agenda(&self, planned: &Planned, help: Vec<Help>) -> Agenda {
        let now = self.begins.timestamp();
        let mut sittings: Vec<AgendaSitting> =
            self.sittings.sittings.iter().map(|one| self.sitting(one, false)).collect();
        let mut alone = self.running.clone();
        for placed in &planned.placed {
            let work = &self.sittings.jobs[placed.job].works[placed.work];
            let (of, name, due) = &self.wanted[placed.job];
            if let Some(sitting) = sittings.get_mut(placed.sitting) {
                sitting.hands_min += placed.to_min - placed.from_min;
                sitting.effort_min += work.effort_each_min * f64::from(placed.n);
                let index = &self.index[placed.job][placed.work];
                sitting.works.push(SatWork {
                    of: *of,
                    name: name.clone(),
                    step_n: index.step_n,
                    named: work.named.clone(),
                    n: placed.n,
                    of_n: index.of_n,
                    from: after(now, placed.from_min),
                    to: after(now, placed.to_min),
                    lays_out: placed.lays_out,
                    because: placed.because,
                    why: why(placed, *due),
                });
            }
            if let Some(to_min) = placed.alone_to_min.filter(|to_min| *to_min > placed.to_min) {
                alone.push(Alone {
                    of: *of,
                    name: name.clone(),
                    named: work.named.clone(),
                    barrel: work.barrel,
                    from: after(now, to_min - work.unattended_min),
                    to: after(now, to_min),
                });
            }
        }
        sittings.extend(self.skipped.iter().map(|one| self.sitting(one, true)));
        sittings.sort_by_key(|one| one.from);
        let late = planned.late.iter().map(|late| {
            let (of, name, due) = &self.wanted[late.job];
            let due = due.map_or(String::new(), |day| format!(", due {}", day.strftime("%-d %B")));
            Unmet { of: *of, sentence: format!("{name}{due}: {} late.", span(late.by_min)) }
        });
        let unplaced = planned.unplaced.iter().map(|one| {
            let (of, name, _) = &self.wanted[one.job];
            Unmet { of: *of, sentence: format!("{name}: {}", one.sentence) }
        });
        Agenda {
            begins: now,
            sittings,
            alone,
            unmet: self.cannot.iter().cloned().chain(unplaced).chain(late).collect(),
            help,
            layouts_n: planned.layouts_n,
        }
    }

    fn sitting(&self, one: &Stretch, skipped: bool) -> AgendaSitting {
        let now = self.begins.timestamp();
        let (from, to) = (after(now, one.from_min), after(now, one.to_min));
        let wall = |at: Timestamp| at.to_zoned_datetime(self.begins.time_zone().clone());
        let clock = format!("{} to {}", wall(from).strftime("%H:%M"), wall(to).strftime("%H:%M"));
        AgendaSitting {
            from,
            to,
            day: wall(from).date(),
            clock,
            skipped,
            hands_min: 0.0,
            effort_min: 0.0,
            works: vec![],
        }
    }
}

/// So long in words, for people: `3 hours`, `2 days`.
fn span(min: f64) -> String {
    let whole = |value: f64| {
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "a few thousand")]
        let whole = value.round().clamp(1.0, 1e6) as u32;
        whole
    };
    match min {
        min if min < 90.0 => counted(whole(min), "minute"),
        min if min < 36.0 * 60.0 => counted(whole(min / 60.0), "hour"),
        min => counted(whole(min / 1440.0), "day"),
    }
}

fn why(placed: &Placed, due: Option<Date>) -> String {
    match (placed.because, due) {
        (Because::Pinned, _) => "Pinned by you.".to_owned(),
        (Because::SameTools, _) => "The tools are already out.".to_owned(),
        (Because::WasReadyThen, _) => "The step before it is ready only then.".to_owned(),
        (Because::Due, Some(day)) => format!("Due {}: most urgent.", day.strftime("%-d %B")),
        (Because::Due, None) => "Most urgent.".to_owned(),
        (Because::GoesOn, _) => "Continues the same batch.".to_owned(),
        (Because::Time, _) => "Fills free time.".to_owned(),
    }
}
