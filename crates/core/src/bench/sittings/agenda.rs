//! The agenda: everything that is to be made, placed in the hours at the bench, with its day and its clock. What is read is
//! a line for each batch that is worked on; its steps stand under it.
//!
//! [`Laid::out`] turns batches and lines of orders into works, hours into stretches and what is held by hand into pins;
//! [`Laid::agenda`] turns the plan that was found back into days, steps and reasons.

use jiff::civil::Date;
use jiff::{Timestamp, ZonedDateTime};
use serde::{Deserialize, Serialize};

use super::help::{Helps, Way};
use super::hours::{Hours, after, end_of};
use super::{Because, Job, Pin, Placed, Planned, Sittings, Stretch};
use crate::bench::times::Times;
use crate::bench::{Batch, BatchStanding, Task};
use crate::fault::Fault;
use crate::tool::gear::Gear;
use crate::words::{capital, counted, words};

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

/// A step in a session, or a part of one.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct SatWork {
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
}

/// One batch worked on without leaving it: what a line of the schedule says.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct BatchRun {
    /// Whose.
    pub of: JobOf,
    /// What that is called.
    pub name: String,
    /// How many it is, as they are ordered: `17 pairs`.
    pub counted: String,
    /// From which step to which: `straighten to crown`, `tumble`.
    pub steps_told: String,
    /// Hands begin.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub from: Timestamp,
    /// Hands are done, rests within included.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub to: Timestamp,
    /// Minutes of hand work, rests left out.
    pub hands_min: f64,
    /// What made it begin then.
    pub because: Because,
    /// The same in a sentence.
    pub why: String,
    /// Its steps, in order.
    pub steps: Vec<SatWork>,
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
    /// How hard it is on the hands.
    pub strain: Strain,
    /// How much of what hands bear in one session it takes, 0 to 1.
    pub strain_share: f64,
    /// What is done, batch by batch, in order.
    pub runs: Vec<BatchRun>,
}

words! {
    /// How hard a session is on the hands, by the share of what they bear.
    pub enum Strain ("strain") {
        /// Up to two fifths of it.
        Light = "light", "light";
        /// Up to three quarters of it.
        Moderate = "moderate", "moderate";
        /// More.
        Heavy = "heavy", "heavy";
    }
}

impl Strain {
    /// By the share of what hands bear in one session.
    #[must_use]
    pub fn of(share: f64) -> Self {
        match share {
            share if share <= 0.4 => Self::Light,
            share if share <= 0.75 => Self::Moderate,
            _ => Self::Heavy,
        }
    }
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

/// Something that would help, and what would come of it.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Help {
    /// What, in a sentence.
    pub sentence: String,
    /// Whether everything is done in time then.
    pub in_time: bool,
}

/// When a batch or a line of an order is done.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Ready {
    /// Whose.
    pub of: JobOf,
    /// What that is called.
    pub name: String,
    /// The moment it is done, what runs by itself included.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub at: Timestamp,
    /// The day, by the clock on the wall.
    #[cfg_attr(feature = "schema", schema(value_type = String, format = Date))]
    pub day: Date,
    /// The day it is due.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>, format = Date))]
    pub due: Option<Date>,
    /// Whether that is after its due day.
    pub late: bool,
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
    /// When everything that finds its time is done, what is due first by first.
    pub ready: Vec<Ready>,
    /// How it stands, in a sentence or two; nothing where there is nothing to do.
    pub told: String,
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
    /// How many each job is, in words.
    counted: Vec<String>,
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
                barrel_busy_to_min: None,
                pins: vec![],
            },
            begins: begins.clone(),
            wanted: vec![],
            counted: vec![],
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
                    if work.barrel {
                        let busy_to = laid.sittings.barrel_busy_to_min.unwrap_or(0.0);
                        laid.sittings.barrel_busy_to_min = Some(busy_to.max(min_at(ready)));
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
                laid.counted.push(one.batch.piece.counted_as(one.batch.whole(&one.standing).0));
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
    pub fn agenda(&self, planned: &Planned, help: &[Helps]) -> Agenda {
        let now = self.begins.timestamp();
        let mut sittings: Vec<AgendaSitting> =
            self.sittings.sittings.iter().map(|one| self.sitting(one, false)).collect();
        let mut alone = self.running.clone();
        for (i, placed) in planned.placed.iter().enumerate() {
            let work = &self.sittings.jobs[placed.job].works[placed.work];
            let (of, name, _) = &self.wanted[placed.job];
            if let Some(sitting) = sittings.get_mut(placed.sitting) {
                sitting.hands_min += placed.to_min - placed.from_min;
                let effort = work.effort_each_min * f64::from(placed.n);
                sitting.strain_share += effort / self.sittings.most_effort_min;
                self.add_to_run(sitting, placed, planned, i);
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
        for sitting in &mut sittings {
            sitting.strain = Strain::of(sitting.strain_share);
            sitting.runs.iter_mut().for_each(BatchRun::tell_steps);
        }
        sittings.extend(self.skipped.iter().map(|one| self.sitting(one, true)));
        sittings.sort_by_key(|one| one.from);
        let late = planned.late.iter().map(|late| {
            let (of, name, due) = &self.wanted[late.job];
            let day = due.map_or(String::new(), |day| day.strftime("%-d %B").to_string());
            let over = self.sittings.jobs[late.job].due_min.is_some_and(|due| due <= 0.0);
            let sentence = match over {
                true => {
                    let done = self.sittings.jobs[late.job].due_min.unwrap_or(0.0) + late.by_min;
                    let done = after(now, done).to_zoned_datetime(self.begins.time_zone().clone());
                    format!("{name} was due {day}. Earliest now: {}.", done.strftime("%A %-d %B"))
                }
                false => format!("{name}, due {day}: {} late.", span(late.by_min)),
            };
            Unmet { of: *of, sentence }
        });
        let unplaced = planned.unplaced.iter().map(|one| {
            let (of, name, due) = &self.wanted[one.job];
            let due = due.map_or(String::new(), |day| format!(", due {}", day.strftime("%-d %B")));
            Unmet { of: *of, sentence: format!("{name}{due}: {}", one.sentence) }
        });
        let unmet: Vec<Unmet> = self.cannot.iter().cloned().chain(unplaced).chain(late).collect();
        let ready = self.ready(planned);
        Agenda {
            begins: now,
            sittings,
            alone,
            told: told(&ready, &unmet),
            ready,
            unmet,
            help: help.iter().map(|one| self.helped(one)).collect(),
            layouts_n: planned.layouts_n,
        }
    }

    /// When everything that finds its time is done, what is due first by first.
    fn ready(&self, planned: &Planned) -> Vec<Ready> {
        let done = |job: usize| {
            let ends = planned.placed.iter().filter(|one| one.job == job);
            let end = ends.map(|one| one.alone_to_min.unwrap_or(one.to_min)).reduce(f64::max)?;
            planned.unplaced.iter().all(|one| one.job != job).then_some(end)
        };
        let each = self.wanted.iter().enumerate().filter_map(|(job, (of, name, due))| {
            let at = after(self.begins.timestamp(), done(job)?);
            let day = at.to_zoned_datetime(self.begins.time_zone().clone()).date();
            let late = due.is_some_and(|due| day > due);
            Some(Ready { of: *of, name: name.clone(), at, day, due: *due, late })
        });
        let mut ready: Vec<Ready> = each.collect();
        ready.sort_by_key(|one| (one.due.unwrap_or(Date::MAX), one.at));
        ready
    }

    /// Adds a step to the batch that is worked on, or begins with another.
    fn add_to_run(&self, sitting: &mut AgendaSitting, placed: &Placed, planned: &Planned, at: usize) {
        let now = self.begins.timestamp();
        let index = &self.index[placed.job][placed.work];
        let work = &self.sittings.jobs[placed.job].works[placed.work];
        let (of, name, due) = &self.wanted[placed.job];
        let step = SatWork {
            step_n: index.step_n,
            named: work.named.clone(),
            n: placed.n,
            of_n: index.of_n,
            from: after(now, placed.from_min),
            to: after(now, placed.to_min),
            lays_out: placed.lays_out,
        };
        // What waits for the tumbler in between is begun anew.
        let goes_on =
            placed.because == Because::GoesOn && sitting.runs.last().is_some_and(|run| run.of == *of);
        let hands_min = placed.to_min - placed.from_min;
        match sitting.runs.last_mut().filter(|_| goes_on) {
            Some(run) => {
                run.to = step.to;
                run.hands_min += hands_min;
                // A rest parts what is one step to whoever does it.
                match run.steps.last_mut().filter(|last| last.step_n == step.step_n) {
                    Some(last) => {
                        last.n += step.n;
                        last.to = step.to;
                    }
                    None => run.steps.push(step),
                }
            }
            None => sitting.runs.push(BatchRun {
                of: *of,
                name: name.clone(),
                counted: self.counted[placed.job].clone(),
                steps_told: String::new(),
                from: step.from,
                to: step.to,
                hands_min,
                because: placed.because,
                why: self.why(placed, planned, at, *due),
                steps: vec![step],
            }),
        }
    }

    /// What made a batch begin when it does, in a sentence.
    fn why(&self, placed: &Placed, planned: &Planned, at: usize, due: Option<Date>) -> String {
        let due = due.map(|day| day.strftime("%-d %B").to_string());
        match (placed.because, due) {
            (Because::Pinned, _) => "Pinned by you.".to_owned(),
            (Because::Ready, _) => {
                let before = planned.placed[..at].iter().rfind(|one| one.job == placed.job);
                match before.map(|one| &self.sittings.jobs[one.job].works[one.work]) {
                    Some(work) if work.barrel => "It comes out of the tumbler then.".to_owned(),
                    Some(work) => format!("After “{}”, ready then.", work.named),
                    None => "What runs on its own is ready then.".to_owned(),
                }
            }
            (Because::BarrelFree, _) => "The tumbler is free then.".to_owned(),
            (Because::SameTools, _) if self.sittings.jobs[placed.job].works[placed.work].barrel => {
                "Shares the tumbler load.".to_owned()
            }
            (Because::SameTools, _) => "The tools are already out.".to_owned(),
            (Because::Due, Some(day)) => format!("Due {day}: the first due."),
            (Because::Due, None) => "The first due.".to_owned(),
            (Because::GoesOn, _) => "Goes on from before.".to_owned(),
            (Because::WhileOthersWait, Some(day)) => format!("Due {day}. What is due before it has to wait."),
            (Because::WhileOthersWait, None) => "Uses the time while what is due has to wait.".to_owned(),
            (Because::NothingDue, _) => "Nothing is due that could be done now.".to_owned(),
            (Because::BetterOrder, Some(day)) => format!("Due {day}. Works out better in this order."),
            (Because::BetterOrder, None) => "Works out better in this order.".to_owned(),
        }
    }

    fn helped(&self, help: &Helps) -> Help {
        let what = match help.way {
            Way::MoreTime { min, sitting } => {
                let from = after(self.begins.timestamp(), self.sittings.sittings[sitting].from_min);
                let day = from.to_zoned_datetime(self.begins.time_zone().clone());
                format!("Add {min:.0} min on {}", day.strftime("%A %-d %B"))
            }
            Way::Fewer { job, n } => format!("Make {n} fewer of {}", self.wanted[job].1),
            Way::LongerSessions { min } => format!("Work {min:.0} min longer each session"),
            Way::Softer => "Use softer or thinner wire, about two fifths easier on the hands".to_owned(),
        };
        let then = if help.in_time { "everything is done on time" } else { "more is done on time" };
        Help { sentence: format!("{what}: {then}."), in_time: help.in_time }
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
            strain: Strain::Light,
            strain_share: 0.0,
            runs: vec![],
        }
    }
}

/// How the plan stands: what is due first, and how early it is ready.
fn told(ready: &[Ready], unmet: &[Unmet]) -> String {
    if !unmet.is_empty() {
        let batches = counted(unmet.len(), "batch");
        return format!("{} late or without a time: see what would help.", capital(&batches));
    }
    let Some((first, due)) = ready.iter().find_map(|one| Some((one, one.due?))) else {
        return if ready.is_empty() { String::new() } else { "Nothing has a due date.".to_owned() };
    };
    let early = first.day.until(due).map_or(0, |span| span.get_days());
    let early = match early {
        early if early <= 0 => "on its due day".to_owned(),
        early => format!("{} early", counted(early.unsigned_abs(), "day")),
    };
    format!("Everything is on time. {} is ready {}, {early}.", first.name, first.day.strftime("%A %-d %B"))
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

impl BatchRun {
    /// Says from which step to which it goes.
    fn tell_steps(&mut self) {
        let (first, last) = (self.steps.first(), self.steps.last());
        self.steps_told = match first.zip(last) {
            Some((first, last)) if first.step_n != last.step_n => {
                format!("{} to {}", first.named, last.named)
            }
            Some((only, _)) if only.n < only.of_n => format!("{} ({} of {})", only.named, only.n, only.of_n),
            Some((only, _)) => only.named.clone(),
            None => String::new(),
        };
    }

    /// A line of the schedule: `Ear wires for the theatre: 17 pairs, straighten to crown`.
    #[must_use]
    pub fn line(&self) -> String {
        format!("{}: {}, {}", self.name, self.counted, self.steps_told)
    }
}
