//! The agenda: everything that is to be made, placed in the hours at the bench, with its day and its clock. What is read is
//! a line for each batch that is worked on; its steps stand under it.
//!
//! [`Laid::out`](laid::Laid::out) turns batches and lines of orders into works, hours into stretches and what is held by
//! hand into pins; [`Laid::agenda`](laid::Laid::agenda) turns the plan that was found back into days, steps and reasons;
//! [`promise`] compares two of them.

pub mod laid;
pub mod promise;
mod told;

use jiff::Timestamp;
use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use super::Because;
use crate::bench::{Batch, BatchProgress, Task};
use crate::fault::Fault;
use crate::words::words;
use lorimant_text::text;

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
    pub progress: BatchProgress,
    /// The day it is due.
    pub due: Option<Date>,
    /// The orders it is for, by their numbers.
    pub orders: Vec<i64>,
}

/// What is held by hand.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub enum ScheduleChange {
    /// A step is not begun before a moment.
    NotBefore {
        /// The batch or order line it belongs to.
        of: JobOf,
        /// The step, from 1.
        step_n: u32,
        /// The moment.
        #[cfg_attr(feature = "schema", schema(value_type = String))]
        at: Timestamp,
    },
    /// A step is parted: so many are done when there is time, the others not before a moment.
    Parted {
        /// The batch or order line it belongs to.
        of: JobOf,
        /// The step, from 1.
        step_n: u32,
        /// How many are done first.
        first_n: u32,
        /// The moment.
        #[cfg_attr(feature = "schema", schema(value_type = String))]
        at: Timestamp,
    },
    /// A session is left out.
    Skipped {
        /// When it would begin.
        #[cfg_attr(feature = "schema", schema(value_type = String))]
        from: Timestamp,
    },
}

impl ScheduleChange {
    /// Whose step is held, and which; nothing of a session.
    #[must_use]
    pub fn of(&self) -> Option<(JobOf, u32)> {
        match self {
            Self::NotBefore { of, step_n, .. } | Self::Parted { of, step_n, .. } => Some((*of, *step_n)),
            Self::Skipped { .. } => None,
        }
    }

    /// Whether it still means something: its job is still to be made, or its session is not over.
    #[must_use]
    pub fn stands(&self, wanted: &[Wanted], now: Timestamp) -> bool {
        match self {
            // A session ends the day it begins.
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
        let message = text!("agenda-there-no-such-step-pin");
        Err(Fault::new("of", message))
    }
}

/// A step in a session, or a part of one.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct SessionStep {
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
    pub sets_up: bool,
}

/// One batch worked on without leaving it: what a line of the schedule says.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct BatchRun {
    /// The batch or order line it belongs to.
    pub of: JobOf,
    /// What that is called.
    pub name: String,
    /// How many it is, as they are ordered: `17 pairs`.
    pub counted: String,
    /// From which step to which: `straighten to crown`, `tumble`.
    pub steps_text: String,
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
    pub reason: String,
    /// Its steps, in order.
    pub steps: Vec<SessionStep>,
}

/// A session with what is done in it.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct AgendaSession {
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
        Light = "light";
        /// Up to three quarters of it.
        Moderate = "moderate";
        /// More.
        Heavy = "heavy";
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
    /// The batch or order line it belongs to.
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
    /// The batch or order line it belongs to.
    pub of: JobOf,
    /// The orders it is for, by their numbers.
    pub orders: Vec<i64>,
    /// What, in a sentence.
    pub text: String,
}

/// Something that would help, and what would come of it.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Help {
    /// What, in a sentence.
    pub text: String,
    /// Whether everything is done in time then.
    pub in_time: bool,
}

/// When a batch or a line of an order is done.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Ready {
    /// The batch or order line it belongs to.
    pub of: JobOf,
    /// What that is called.
    pub name: String,
    /// The orders it is for, by their numbers.
    pub orders: Vec<i64>,
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
    /// Sessions, one after another, those without work among them.
    pub sessions: Vec<AgendaSession>,
    /// What runs by itself.
    pub unattended: Vec<Alone>,
    /// When everything that finds its time is done, what is due first by first.
    pub ready: Vec<Ready>,
    /// How it stands, in a sentence or two; nothing where there is nothing to do.
    pub text: String,
    /// What comes too late, and what finds no time.
    pub unmet: Vec<Unmet>,
    /// What would help.
    pub help: Vec<Help>,
    /// How often tools are laid out.
    pub layouts_n: u32,
}
