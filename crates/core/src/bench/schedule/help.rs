//! What would help where work finds no time or comes too late: tried, not guessed, and as little of it as does.

use super::{Cost, Job, ScheduleRequest, TimeSpan, cheaper};
use crate::fault::Faults;

/// Something that would help.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Way {
    /// So many minutes more, right after a session.
    MoreTime {
        /// How many.
        min: f64,
        /// The session, by its place.
        session: usize,
    },
    /// Every session longer by so many minutes.
    LongerSessions {
        /// How many.
        min: f64,
    },
    /// Fewer pieces of a batch.
    Fewer {
        /// Of which job, by its place.
        job: usize,
        /// How many fewer.
        n: u32,
    },
    /// Wire that is two fifths easier on the hands.
    Softer,
}

/// Something that would help, and what would come of it.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Helps {
    /// What would be changed.
    pub way: Way,
    /// Whether everything is done in time then.
    pub in_time: bool,
}

/// Minutes are tried and told in steps of this.
const STEP_MIN: f64 = 5.0;
/// Nobody adds more than this to a session, in steps.
const MOST_STEPS: u32 = 36;

impl ScheduleRequest {
    /// What would help, the simplest first: some time more before the first due day that is missed, fewer pieces of what
    /// misses it, longer sessions, softer wire. Each is planned, and as little of it as helps is told. Nothing where all is in
    /// time, or where what is late was due before the plan begins.
    ///
    /// # Errors
    /// As [`ScheduleRequest::check`].
    pub fn help(&self, seed: u64, tries_n: u32) -> Result<Vec<Helps>, Faults> {
        let planned = self.plan(seed, &|at| at.tried_n < tries_n)?;
        let now = planned.cost;
        let unmet =
            planned.late.iter().map(|late| late.job).chain(planned.unplaced.iter().map(|one| one.job));
        let due = |job: usize| self.jobs[job].due_min.unwrap_or(f64::INFINITY);
        let Some(first) = unmet.filter(|job| due(*job) > 0.0).min_by(|a, b| due(*a).total_cmp(&due(*b)))
        else {
            return Ok(vec![]);
        };
        let with = |plan: &Self| Ok::<Cost, Faults>(plan.plan(seed, &|at| at.tried_n < tries_n)?.cost);
        let helps = |cost: Cost| (cost.late_n, cost.unplaced_n) < (now.late_n, now.unplaced_n);
        let mut help = vec![];
        let mut tell = |way: Way, cost: Cost| {
            help.push(Helps { way, in_time: cost.late_n == 0 && cost.unplaced_n == 0 });
        };
        let before_due = self.sessions.iter().rposition(|one| one.to_min <= due(first));
        if let Some(session) = before_due.filter(|_| due(first).is_finite()) {
            let min = |steps: u32| STEP_MIN * f64::from(steps);
            if let Some((steps, cost)) =
                least(MOST_STEPS, |steps| with(&self.with_more(session, min(steps))), |_, cost| helps(cost))?
            {
                tell(Way::MoreTime { min: min(steps), session }, cost);
            }
        }
        let most_n = self.jobs[first].pieces_n.saturating_sub(1);
        // Fewer are fewer late whatever they do: what helps is that the others are in time.
        let others_too = |n: u32, cost: Cost| helps(Cost { late_n: cost.late_n.saturating_add(n), ..cost });
        if let Some((n, cost)) = least(most_n, |n| with(&self.with_fewer(first, n)), others_too)? {
            tell(Way::Fewer { job: first, n }, cost);
        }
        let longer = |steps: u32| self.lengthened(STEP_MIN * f64::from(steps));
        if let Some((steps, cost)) = least(MOST_STEPS, |steps| with(&longer(steps)), |_, cost| helps(cost))? {
            tell(Way::LongerSessions { min: STEP_MIN * f64::from(steps) }, cost);
        }
        let softer = with(&self.softer())?;
        if helps(softer) && cheaper(softer, now) {
            tell(Way::Softer, softer);
        }
        Ok(help)
    }

    /// A further session right after one.
    fn with_more(&self, session: usize, min: f64) -> Self {
        let mut more = self.clone();
        let from_min = more.sessions[session].to_min;
        let next = more.sessions.get(session + 1).map_or(f64::INFINITY, |next| next.from_min);
        let to_min = (from_min + min).min(next);
        if to_min > from_min {
            more.sessions.insert(session + 1, TimeSpan { from_min, to_min });
        }
        more
    }

    /// So many fewer of one batch.
    fn with_fewer(&self, job: usize, n: u32) -> Self {
        let mut fewer = self.clone();
        let of = &mut fewer.jobs[job];
        let share = 1.0 - f64::from(n) / f64::from(of.pieces_n.max(1));
        for work in &mut of.works {
            #[expect(
                clippy::cast_possible_truncation,
                clippy::cast_sign_loss,
                reason = "fewer than there are"
            )]
            let left_n = (f64::from(work.n) * share).ceil() as u32;
            work.n = left_n;
        }
        of.pieces_n -= n;
        fewer
    }

    /// Every session longer by so much, as far as the next lets it.
    fn lengthened(&self, min: f64) -> Self {
        let longer = |(i, one): (usize, &TimeSpan)| {
            let next = self.sessions.get(i + 1).map_or(f64::INFINITY, |next| next.from_min);
            TimeSpan { to_min: (one.to_min + min).min(next), ..*one }
        };
        let sessions = self.sessions.iter().enumerate().map(longer).collect();
        Self { sessions, most_min: self.most_min + min, ..self.clone() }
    }

    fn softer(&self) -> Self {
        let mut softer = self.clone();
        for work in softer.jobs.iter_mut().flat_map(|job: &mut Job| &mut job.works) {
            work.effort_each_min *= 0.6;
        }
        softer
    }
}

/// The least of 1 to `most` with which a plan helps, with its cost, by halving; nothing where even the most does not.
fn least(
    most: u32,
    cost_with: impl Fn(u32) -> Result<Cost, Faults>,
    helps: impl Fn(u32, Cost) -> bool,
) -> Result<Option<(u32, Cost)>, Faults> {
    if most == 0 {
        return Ok(None);
    }
    let mut found = (most, cost_with(most)?);
    if !helps(found.0, found.1) {
        return Ok(None);
    }
    let mut too_few = 0;
    while found.0 - too_few > 1 {
        let middle = u32::midpoint(too_few, found.0);
        let cost = cost_with(middle)?;
        if helps(middle, cost) {
            found = (middle, cost);
        } else {
            too_few = middle;
        }
    }
    Ok(Some(found))
}
