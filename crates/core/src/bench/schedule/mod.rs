//! The schedule: which batch is worked on when, so that due days hold, hands stay under their limits, the barrel runs
//! where it may, and a batch that is begun goes on until something forces it to wait.
//!
//! Times are minutes from the moment the plan begins. [`ScheduleRequest::plan`] places every step of every batch in the hours
//! there are: [`place`](mod@place) places them one after another in the order of their keys, [`search`](mod@search) looks
//! for keys that cost less, [`help`](mod@help) says what would help where due days do not hold.

pub mod agenda;
pub mod help;
pub mod hours;
pub mod place;
pub mod search;

use serde::{Deserialize, Serialize};

use super::{Batch, BatchProgress, Counted, Task};
use crate::fault::{Fault, Faults, Span};
use crate::making::Operation;
use lorimant_text::{Text, text};

/// A stretch of time at the bench, minutes from the beginning of the plan.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct TimeSpan {
    /// It begins.
    pub from_min: f64,
    /// It ends.
    pub to_min: f64,
}

/// One operation on all that is left of a batch.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Work {
    /// What it is, in two or three words.
    pub named: String,
    /// How many are still to do: pieces, coils, or loads of the barrel.
    pub n: u32,
    /// Minutes to lay out its tools, each time they are laid out.
    pub setting_up_min: f64,
    /// Minutes for one.
    pub each_min: f64,
    /// How the hand feels one: minutes of bending 20 AWG soft copper.
    pub effort_each_min: f64,
    /// Minutes each runs by itself afterwards.
    pub unattended_min: f64,
    /// Whether that is in the barrel: one load at a time, and not in quiet hours.
    pub barrel: bool,
    /// How much of the barrel one fills, 0 to 1: small batches with the same `setup` share a load.
    #[serde(default)]
    pub fills: f64,
    /// What is laid out for it: works that share it need no change of tools.
    pub setup: String,
}

/// Work that has to be done in its order: a batch on its way.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Job {
    /// What it is called.
    pub name: String,
    /// How many pieces it is: what is late is counted in pieces.
    pub pieces_n: u32,
    /// When it has to be done.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub due_min: Option<f64>,
    /// When what runs by itself already is done; nothing where nothing of it runs.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub ready_min: Option<f64>,
    /// What is left of it, in order.
    pub works: Vec<Work>,
}

/// A work that is held in its place by hand.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Pin {
    /// The job, by its place.
    pub job: usize,
    /// The work, by its place.
    pub work: usize,
    /// It does not begin before this.
    pub not_before_min: f64,
}

/// What is to be done, and when there is time for it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct ScheduleRequest {
    /// What is to be done.
    pub jobs: Vec<Job>,
    /// When somebody sits at the bench, one session after another.
    pub sessions: Vec<TimeSpan>,
    /// Most minutes of hand work in one session.
    pub most_min: f64,
    /// Most of what hands feel in one session, as minutes of bending 20 AWG soft copper.
    pub most_effort_min: f64,
    /// A rest after so many minutes of hand work.
    pub rest_every_min: f64,
    /// How long a rest is, minutes.
    pub rest_min: f64,
    /// When the barrel must not run.
    #[serde(default)]
    pub quiet: Vec<TimeSpan>,
    /// When the load that is in the barrel now is done; nothing where it is empty.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub barrel_busy_to_min: Option<f64>,
    /// Works held in their places by hand.
    #[serde(default)]
    pub pins: Vec<Pin>,
}

/// What made a work begin when it does.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(rename_all = "kebab-case")]
pub enum Because {
    /// It was held there by hand.
    Pinned,
    /// What runs by itself before it is done only then.
    Ready,
    /// The barrel is free, and may run, only then.
    BarrelFree,
    /// The batch that was worked on before goes on.
    Continues,
    /// Its tools are out already.
    SameTools,
    /// Of all that could be begun then, it is due first.
    Due,
    /// What is due before it has to wait then.
    WhileOthersWait,
    /// Nothing that is due could be begun then.
    NothingDue,
    /// More is done in time, or with fewer changes, than by due day alone.
    BetterOrder,
}

/// A work, or a part of one, in its place.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Placed {
    /// The job, by its place.
    pub job: usize,
    /// The work, by its place in the job.
    pub work: usize,
    /// The session, by its place.
    pub session: usize,
    /// Hands begin.
    pub from_min: f64,
    /// Hands are done, rests within left out.
    pub to_min: f64,
    /// How many are done.
    pub n: u32,
    /// Whether tools are laid out for it.
    pub sets_up: bool,
    /// When what runs by itself afterwards is done.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub alone_to_min: Option<f64>,
    /// Why it stands there.
    pub because: Because,
}

/// Work for which there is no time.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Unplaced {
    /// The job, by its place.
    pub job: usize,
    /// The first work without a place.
    pub work: usize,
    /// How many of it.
    pub n: u32,
    /// Why, in a sentence.
    pub text: String,
}

/// A job that is done after its due day, or not at all.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Late {
    /// The job, by its place.
    pub job: usize,
    /// By so many minutes.
    pub by_min: f64,
}

/// What is done when.
#[derive(Debug, Clone, PartialEq, Default, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Planned {
    /// Every work in its place, in order.
    pub placed: Vec<Placed>,
    /// Work for which there is no time.
    pub unplaced: Vec<Unplaced>,
    /// Jobs that are done too late.
    pub late: Vec<Late>,
    /// How often tools are laid out.
    pub layouts_n: u32,
    /// How often a batch is left that could go on.
    pub interruptions_n: u32,
    /// What it costs.
    #[serde(skip)]
    pub cost: Cost,
}

/// What a plan costs, the worst first: one costs less than another if it does in the first figure that differs.
#[derive(Debug, Clone, Copy, PartialEq, PartialOrd, Default)]
pub struct Cost {
    /// Pieces with a due day that are late, or find no time.
    pub late_n: u32,
    /// Minutes they are late, piece by piece; what finds no time is late until all hours are over.
    pub late_piece_min: f64,
    /// Pieces without a due day that find no time.
    pub unplaced_n: u32,
    /// Minutes lost by laying out tools, and by leaving a batch that could go on.
    pub changes_min: f64,
    /// When everything is done, jobs added up, minutes.
    pub ends_min: f64,
}

/// What it costs to leave a batch that could go on, minutes: to put it away, find it again, and get back into it.
pub const INTERRUPTION_MIN: f64 = 8.0;

/// What a load of the barrel costs beside the work at it, minutes: half empty it makes as much noise and wear as full.
pub const LOAD_MIN: f64 = 10.0;

/// Whether one plan costs less than another.
#[must_use]
pub fn cheaper(one: Cost, other: Cost) -> bool {
    one < other
}

impl Job {
    /// What is left of a batch, so many grams to a load of the barrel.
    ///
    /// ```
    /// use lorimant_core::bench::Batch;
    /// use lorimant_core::bench::schedule::Job;
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
    /// let batch = Batch::of("clasps", hook, 12);
    /// let tasks = batch.tasks(&Workshop::default()).unwrap();
    /// let job = Job::of(&batch, &tasks, &batch.progress(&tasks, &[]), 200.0, None);
    /// let hands: f64 = job.works.iter().map(|work| work.setting_up_min + f64::from(work.n) * work.each_min).sum();
    /// let route: f64 = tasks.iter().map(|task| task.hands_min).sum();
    /// assert!((hands - route).abs() < 1e-9);
    /// ```
    #[must_use]
    pub fn of(
        batch: &Batch,
        tasks: &[Task],
        progress: &BatchProgress,
        barrel_g: f64,
        due_min: Option<f64>,
    ) -> Self {
        let left = tasks.iter().zip(&progress.tasks).filter(|(_, there)| there.left_n > 0);
        let works = left.map(|(task, there)| {
            let takes = &task.step.takes;
            let barrel = task.step.operation == Operation::Tumble;
            let mass_g = task.one_g * f64::from(progress.whole_n);
            let all_loads_n = loads(task.one_g * f64::from(batch.pieces_n()), barrel_g);
            let hands_min = task.hands_min - takes.setting_up_min;
            // What is counted once for all is still done piece by piece, and can be parted between them; what then runs by
            // itself is done in as many goes as hands need.
            let (n, units_n) = match task.counted {
                _ if barrel => (loads(mass_g, barrel_g), all_loads_n),
                Counted::Once if takes.unattended_min > 0.0 => {
                    let n = loads(hands_min, GO_MIN);
                    (n, n)
                }
                Counted::Once => (progress.whole_n.max(1), batch.pieces_n()),
                _ => (there.left_n, task.n),
            };
            let units_n = f64::from(units_n.max(1));
            Work {
                named: task.step.named.clone(),
                n,
                setting_up_min: takes.setting_up_min,
                each_min: hands_min / units_n,
                effort_each_min: task.effort_min / units_n,
                // The route says how long all loads take.
                unattended_min: takes.unattended_min / if barrel { f64::from(all_loads_n) } else { 1.0 },
                barrel,
                fills: if barrel { mass_g / f64::from(n) / barrel_g.max(1.0) } else { 0.0 },
                setup: match barrel {
                    true => format!("barrel|{}", batch.piece.wire().metal.company()),
                    false => task.setup_with(batch.piece.wire().size_mm),
                },
            }
        });
        Self {
            name: batch.name.clone(),
            pieces_n: progress.whole_n,
            due_min,
            ready_min: None,
            works: works.collect(),
        }
    }
}

/// Minutes of hand work in one go at what is then left to itself.
const GO_MIN: f64 = 45.0;

/// Loads of the barrel that so much metal is; goes that so many minutes are.
fn loads(all: f64, one: f64) -> u32 {
    let loads = (all / one.max(1.0)).ceil().clamp(1.0, 10_000.0);
    #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "1 to 10 000")]
    let loads = loads as u32;
    loads
}

impl ScheduleRequest {
    /// Checks that time runs forwards and its limits are some.
    ///
    /// # Errors
    /// A fault for each that cannot be.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        let limits = [self.most_min, self.most_effort_min, self.rest_every_min, self.rest_min];
        check_limits(&mut faults, limits);
        let sound =
            |one: &TimeSpan| one.from_min.is_finite() && one.to_min > one.from_min && one.to_min.is_finite();
        for (field, stretches) in [("sessions", &self.sessions), ("quiet", &self.quiet)] {
            let mut before = f64::NEG_INFINITY;
            for (i, one) in stretches.iter().enumerate() {
                if !sound(one) || one.from_min < before {
                    let message = text!("schedule-session-must-end-after-starts");
                    faults.add(Fault::new(format!("{field}[{i}]"), message));
                }
                before = one.to_min;
            }
        }
        for (i, job) in self.jobs.iter().enumerate() {
            if job.due_min.is_some_and(|due| !due.is_finite()) {
                faults
                    .add(Fault::new(format!("jobs[{i}].due_min"), text!("schedule-enter-date-time-for-due")));
            }
            for (j, work) in job.works.iter().enumerate() {
                let all = [
                    work.setting_up_min,
                    work.each_min,
                    work.effort_each_min,
                    work.unattended_min,
                    work.fills,
                ];
                if all.iter().any(|value| !value.is_finite() || *value < 0.0) {
                    let message = text!("schedule-minutes-cannot-be-negative");
                    faults.add(Fault::new(format!("jobs[{i}].works[{j}]"), message));
                }
            }
        }
        for (i, pin) in self.pins.iter().enumerate() {
            if self.jobs.get(pin.job).is_none_or(|job| pin.work >= job.works.len()) {
                faults.add(Fault::new(format!("pins[{i}]"), text!("schedule-there-no-such-work-pin")));
            }
        }
        faults.into_result()
    }
}

/// Checks the limits of a session: minutes of hand work, effort, time between rests, rest.
fn check_limits(faults: &mut Faults, [most_min, effort_min, every_min, rest_min]: [f64; 4]) {
    const MINUTES: Span = Span {
        noun: Text::named("schedule-minutes-handwork-in-session"),
        unit: " min",
        least: 1.0,
        most: 1440.0,
    };
    const REST: Span = Span { noun: Text::named("schedule-rest"), unit: " min", least: 0.0, most: 240.0 };
    const EVERY: Span =
        Span { noun: Text::named("schedule-time-between-rests"), unit: " min", least: 5.0, most: 1440.0 };
    const EFFORT: Span =
        Span { noun: Text::named("schedule-effort-session"), unit: " min", least: 1.0, most: 100_000.0 };
    faults.keep(MINUTES.check("most_min", most_min));
    faults.keep(EFFORT.check("most_effort_min", effort_min));
    faults.keep(EVERY.check("rest_every_min", every_min));
    faults.keep(REST.check("rest_min", rest_min));
}
