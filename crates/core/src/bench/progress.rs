//! How far a batch is, read off what happened to it.

use jiff::Timestamp;
use serde::Serialize;

use super::rest::PAUSE_MIN;
use super::{Batch, Counted, Event, EventKind, Task};
use crate::fault::{Fault, check_text};
use crate::making::Operation;
use lorimant_text::text;

/// How far one task is.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct TaskProgress {
    /// How many are done.
    pub done_n: u32,
    /// How many of those that came this far are still to do; none that was scrapped.
    pub left_n: u32,
    /// How many may be counted now: what the task before let through.
    pub ready_n: u32,
    /// When what runs by itself was started, where it runs.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub started_at: Option<Timestamp>,
    /// When it is ready.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub ready_at: Option<Timestamp>,
    /// Turns that lie on the rod of the coil in hand.
    pub turns_done_n: u32,
    /// Minutes that pieces really timed took: those pressed within five minutes of the press before.
    pub took_min: f64,
    /// How many pieces those are.
    pub timed_n: u32,
}

/// Pieces that were scrapped.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Scrapped {
    /// At which step.
    pub step_n: u32,
    /// How many.
    pub n: u32,
    /// Why they were scrapped, as it was typed.
    pub reason: String,
}

/// Most turns of one coil that are counted.
const MOST_TURNS: u32 = 100_000;

/// How far a batch is.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct BatchProgress {
    /// Each task in order.
    pub tasks: Vec<TaskProgress>,
    /// The task in hand, by its place: the first that is not done. None once all are.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub at: Option<usize>,
    /// Pieces that are still whole.
    pub whole_n: u32,
    /// What was scrapped, in the order it was.
    pub scrapped: Vec<Scrapped>,
    /// Minutes at the bench that are still to come, as the route reckons them.
    pub left_min: f64,
}

impl Batch {
    /// How far it is, by what happened. Events at steps there are none of count for nothing.
    ///
    /// Of a task as many may be counted as the task before let through: pieces keep their order, one operation after
    /// another, and `done + scrapped` never exceeds what came.
    #[must_use]
    pub fn progress(&self, tasks: &[Task], events: &[Event]) -> BatchProgress {
        let sum = |i: usize, kind: EventKind| -> u32 {
            let here = events.iter().filter(|one| at_step(one.step_n) == Some(i) && one.kind == kind);
            here.map(|one| one.n).fold(0, u32::saturating_add)
        };
        let mut progress: Vec<TaskProgress> = Vec::with_capacity(tasks.len());
        let mut whole_n = self.pieces_n();
        let mut through_n = whole_n;
        let mut left_min = 0.0;
        for (i, task) in tasks.iter().enumerate() {
            let done_n = sum(i, EventKind::Done).saturating_sub(sum(i, EventKind::TakenBack));
            let scrapped_n = sum(i, EventKind::Scrapped).saturating_sub(sum(i, EventKind::Rescued));
            // Whole pieces in what this task counts: of coils, those it takes for them.
            let in_its_own = |pieces_n: u32| match task.counted {
                Counted::Once => u32::from(pieces_n > 0),
                Counted::Coil => share(pieces_n, task.n, self.pieces_n()),
                Counted::Piece | Counted::Ring => pieces_n,
                // A ring scrapped on the way is replaced by a spare: as many are put in.
                Counted::Placing => {
                    if pieces_n > 0 {
                        task.n
                    } else {
                        0
                    }
                }
            };
            let (all, came) = (in_its_own(whole_n), in_its_own(through_n).min(in_its_own(whole_n)));
            // Once for all is done when all of the task before are.
            let came = if task.counted == Counted::Once && through_n < whole_n { 0 } else { came };
            // What is rejected at a check is not what that counts: it is done once for all.
            let apart = task.counted == Counted::Placing || task.rejects();
            let gone_n = if apart { done_n } else { done_n.saturating_add(scrapped_n) };
            let (left_n, ready_n) = (all.saturating_sub(gone_n), came.saturating_sub(gone_n));
            let started_at = running(events, i).filter(|_| left_n > 0);
            let (timed_n, took_min) = timed(events, i, task.each_min());
            progress.push(TaskProgress {
                done_n,
                left_n,
                ready_n,
                started_at,
                ready_at: started_at.and_then(|at| after(at, task.step.takes.unattended_min)),
                turns_done_n: turned(events, i),
                took_min,
                timed_n,
            });
            if left_n > 0 {
                left_min += task.hands_min * f64::from(left_n) / f64::from(task.n.max(1));
            }
            let lost = match task.counted {
                Counted::Coil => scrapped_n.saturating_mul(self.pieces_n().div_ceil(task.n.max(1))),
                Counted::Once if !task.rejects() => 0,
                Counted::Once | Counted::Piece | Counted::Ring | Counted::Placing => scrapped_n,
            };
            whole_n = whole_n.saturating_sub(lost);
            through_n = match task.counted {
                Counted::Once => {
                    if done_n > 0 {
                        through_n.min(whole_n)
                    } else {
                        0
                    }
                }
                Counted::Coil => whole_n.min(done_n.saturating_mul(self.pieces_n().div_ceil(task.n.max(1)))),
                Counted::Piece | Counted::Ring => done_n.min(whole_n),
                Counted::Placing => {
                    if left_n == 0 {
                        whole_n
                    } else {
                        0
                    }
                }
            };
        }
        let on_the_spool = on_the_spool(tasks);
        one_by_one(&mut progress[on_the_spool.clone()]);
        let first = progress.iter().position(|task| task.left_n > 0);
        // The piece that hangs on the spool goes on to the cut before the next is begun.
        let at = first.map(|at| {
            let hangs = on_the_spool.clone().rev().find(|i| progress[*i].ready_n > 0);
            hangs.filter(|_| on_the_spool.contains(&at)).unwrap_or(at)
        });
        BatchProgress { at, tasks: progress, whole_n, scrapped: scrapped(events), left_min }
    }

    /// Whether something can have happened after all that did.
    ///
    /// # Errors
    /// A fault at the field that cannot be, with what would be right.
    pub fn may_happen(&self, tasks: &[Task], progress: &BatchProgress, event: &Event) -> Result<(), Fault> {
        let at = at_step(event.step_n);
        let (Some(task), Some(now)) = (at.and_then(|i| tasks.get(i)), at.and_then(|i| progress.tasks.get(i)))
        else {
            let message =
                text!("batch-progress-there-no-step-this-batch", step_n = event.step_n, tasks = tasks.len());
            return Err(Fault::new("step_n", message));
        };
        check_text("reason", text!("noun-reason"), &event.reason, 200)?;
        if !(8..=64).contains(&event.key.len()) || !event.key.is_ascii() {
            return Err(Fault::new("key", text!("batch-progress-key-event-must-be-8")));
        }
        let named = &task.step.named;
        let many = |n: u32| task.counted.so_many(n);
        let too_many = |most: u32, why: &str| {
            Err(Fault::new("n", text!("batch-progress-at", why, named)).limit(f64::from(most)))
        };
        match event.kind {
            EventKind::Turned => self.may_turn(task, now, event.n),
            _ if event.n == 0 => Err(Fault::new("n", text!("batch-progress-enter-at-least-1")).limit(1.0)),
            EventKind::Scrapped if task.rejects() => match progress.whole_n {
                _ if now.ready_n == 0 && now.done_n == 0 => {
                    too_many(0, text!("batch-progress-step-before-not-done-yet"))
                }
                whole_n if event.n > whole_n => {
                    too_many(whole_n, &text!("batch-progress-left-to-reject", whole_n, n = event.n))
                }
                _ => Ok(()),
            },
            EventKind::Done | EventKind::Scrapped if event.n > now.ready_n => {
                if now.ready_n == 0 && now.left_n == 0 {
                    return too_many(0, text!("batch-progress-everything-done"));
                }
                if now.ready_n == 0 && at.is_some_and(|at| on_the_spool(tasks).contains(&at)) {
                    return too_many(0, text!("batch-progress-one-piece-still-on-spool"));
                }
                if now.ready_n == 0 {
                    return too_many(0, text!("batch-progress-step-before-not-done-yet"));
                }
                too_many(
                    now.ready_n,
                    &text!("batch-progress-here-so-too-many", may_n = many(now.ready_n), n = event.n),
                )
            }
            EventKind::Scrapped if task.counted == Counted::Once => {
                Err(Fault::new("kind", text!("batch-progress-scrap-can-only-be-recorded")))
            }
            EventKind::TakenBack => {
                // What went on from here cannot be taken back here.
                let gone_on = at.map_or(0, |at| self.gone_on(tasks, progress, at));
                let most = now.done_n.saturating_sub(gone_on);
                if event.n > most {
                    return too_many(most, &text!("batch-progress-can-be-undone", most = many(most)));
                }
                Ok(())
            }
            EventKind::Rescued => {
                let at_it = progress.scrapped.iter().filter(|one| one.step_n == event.step_n);
                let most = at_it.map(|one| one.n).fold(0, u32::saturating_add);
                if event.n > most {
                    return too_many(most, &text!("batch-progress-scrapped", most = many(most)));
                }
                Ok(())
            }
            EventKind::Started if task.step.takes.unattended_min <= 0.0 => {
                Err(Fault::new("kind", text!("batch-progress-nothing-runs-on-its-own")))
            }
            EventKind::Started if now.started_at.is_some() => {
                too_many(0, text!("batch-progress-already-running"))
            }
            EventKind::Started if now.ready_n == 0 => {
                too_many(0, text!("batch-progress-step-before-not-done-yet"))
            }
            EventKind::Done | EventKind::Scrapped | EventKind::Started => Ok(()),
        }
    }

    /// Whether so many turns can lie on the rod.
    fn may_turn(&self, task: &Task, now: &TaskProgress, n: u32) -> Result<(), Fault> {
        if task.step.numbers.turns_n.is_none() {
            return Err(Fault::new("kind", text!("batch-progress-no-turns-counted-at-this")));
        }
        if now.left_n == 0 {
            return Err(Fault::new(
                "kind",
                text!("batch-progress-everything-done-at", named = task.step.named),
            ));
        }
        if n > MOST_TURNS {
            let message = text!("batch-progress-turns-too-many-for-one", n, MOST_TURNS);
            return Err(Fault::new("n", message).limit(f64::from(MOST_TURNS)));
        }
        Ok(())
    }

    /// How many of what a task counted went on to later tasks already.
    fn gone_on(&self, tasks: &[Task], progress: &BatchProgress, at: usize) -> u32 {
        let Some(task) = tasks.get(at) else { return 0 };
        let Some((next, there)) = tasks.iter().zip(&progress.tasks).nth(at + 1) else { return 0 };
        let scrapped =
            progress.scrapped.iter().filter(|one| at_step(one.step_n) == Some(at + 1)).map(|one| one.n);
        let scrapped_n = scrapped.fold(0, u32::saturating_add);
        let on =
            there.done_n.saturating_add(scrapped_n).saturating_add(u32::from(there.started_at.is_some()));
        match (task.counted, next.counted) {
            _ if on == 0 => 0,
            (Counted::Once, _) => 1,
            (_, Counted::Once) => u32::MAX,
            (Counted::Coil, Counted::Ring | Counted::Piece) => {
                on.div_ceil(self.pieces_n().div_ceil(task.n.max(1)).max(1))
            }
            _ => on,
        }
    }
}

/// The tasks that each piece goes through while it hangs on the spool, the cut last: one piece after the other. Empty where
/// blanks are cut first.
fn on_the_spool(tasks: &[Task]) -> std::ops::Range<usize> {
    let cut = tasks.iter().position(|task| task.step.operation == Operation::Cut);
    let first = tasks.iter().position(|task| task.counted == Counted::Piece);
    match (first, cut) {
        (Some(first), Some(cut)) if first < cut => first..cut + 1,
        _ => 0..0,
    }
}

/// Of tasks at the spool only the piece in hand goes on; the next is begun when it is cut.
fn one_by_one(tasks: &mut [TaskProgress]) {
    let Some((first, later)) = tasks.split_first_mut() else { return };
    let hangs = later.iter().any(|task| task.ready_n > 0);
    first.ready_n = if hangs { 0 } else { first.ready_n.min(1) };
}

/// The place of a step, which is counted from 1.
fn at_step(step_n: u32) -> Option<usize> {
    usize::try_from(step_n).ok()?.checked_sub(1)
}

/// So many of `all` for as many pieces of all pieces, rounded up.
fn share(pieces_n: u32, all: u32, of_pieces_n: u32) -> u32 {
    let share = (u64::from(pieces_n) * u64::from(all)).div_ceil(u64::from(of_pieces_n.max(1)));
    u32::try_from(share).unwrap_or(u32::MAX)
}

/// When what runs by itself was last started at a step, and not done since.
fn running(events: &[Event], i: usize) -> Option<Timestamp> {
    let here = events.iter().filter(|one| at_step(one.step_n) == Some(i));
    here.fold(None, |running, one| match one.kind {
        EventKind::Started => Some(one.at),
        EventKind::Done => None,
        EventKind::TakenBack | EventKind::Scrapped | EventKind::Rescued | EventKind::Turned => running,
    })
}

/// Turns on the rod of the coil in hand: the last count, unless that coil was done or scrapped since.
fn turned(events: &[Event], i: usize) -> u32 {
    let here = events.iter().filter(|one| at_step(one.step_n) == Some(i));
    here.fold(0, |lie, one| match one.kind {
        EventKind::Turned => one.n,
        EventKind::Done | EventKind::Scrapped => 0,
        EventKind::TakenBack | EventKind::Rescued | EventKind::Started => lie,
    })
}

fn after(at: Timestamp, minutes: f64) -> Option<Timestamp> {
    at.checked_add(jiff::SignedDuration::try_from_secs_f64(minutes * 60.0).ok()?).ok()
}

/// What was scrapped and not rescued again, in the order it was; what is rescued is the last that was scrapped there.
fn scrapped(events: &[Event]) -> Vec<Scrapped> {
    let mut scrapped: Vec<Scrapped> = vec![];
    for one in events {
        match one.kind {
            EventKind::Scrapped => {
                scrapped.push(Scrapped { step_n: one.step_n, n: one.n, reason: one.reason.clone() });
            }
            EventKind::Rescued => {
                let mut left_n = one.n;
                for there in scrapped.iter_mut().rev().filter(|there| there.step_n == one.step_n) {
                    let back_n = left_n.min(there.n);
                    there.n -= back_n;
                    left_n -= back_n;
                }
            }
            _ => {}
        }
    }
    scrapped.retain(|one| one.n > 0);
    scrapped
}

/// A piece cannot be quicker than this share of what the route allows for it: it was pressed after the fact.
const LEAST_PACE: f64 = 0.25;

/// Pieces of a step that were really timed, and the minutes they took: pressed within [`PAUSE_MIN`] of the press before,
/// which begins them, and not in a burst of presses for pieces that were done before.
fn timed(events: &[Event], i: usize, each_min: f64) -> (u32, f64) {
    let done = |one: &&Event| at_step(one.step_n) == Some(i) && one.kind == EventKind::Done;
    let here: Vec<&Event> = events.iter().filter(done).collect();
    let (mut timed_n, mut took_min) = (0_u32, 0.0);
    for pair in here.windows(2) {
        let gap_min = pair[0].at.duration_until(pair[1].at).as_secs_f64() / 60.0;
        if gap_min <= PAUSE_MIN && gap_min >= LEAST_PACE * each_min * f64::from(pair[1].n) {
            timed_n = timed_n.saturating_add(pair[1].n);
            took_min += gap_min;
        }
    }
    (timed_n, took_min)
}
