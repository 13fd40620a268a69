//! The plan that was found, as it is read: days, batches, steps, reasons, what cannot be met and what would help.

use jiff::Timestamp;
use jiff::civil::Date;

use super::laid::{Laid, Named};
use super::{Agenda, AgendaSession, Alone, BatchRun, Help, Ready, SessionStep, Strain, Unmet};
use crate::bench::schedule::help::{Helps, Way};
use crate::bench::schedule::hours::after;
use crate::bench::schedule::{Because, Placed, Planned, TimeSpan};
use crate::words::date;
use lorimant_text::{fixed, text};

impl Laid {
    /// The plan that was found, day by day.
    #[must_use]
    pub fn agenda(&self, planned: &Planned, help: &[Helps]) -> Agenda {
        let now = self.begins.timestamp();
        let mut sessions: Vec<AgendaSession> =
            self.sessions.sessions.iter().map(|one| self.session(one, false)).collect();
        let mut unattended = self.running.clone();
        for (i, placed) in planned.placed.iter().enumerate() {
            let work = &self.sessions.jobs[placed.job].works[placed.work];
            let Named { of, name, .. } = &self.wanted[placed.job];
            if let Some(session) = sessions.get_mut(placed.session) {
                session.hands_min += placed.to_min - placed.from_min;
                let effort = work.effort_each_min * f64::from(placed.n);
                session.strain_share += effort / self.sessions.most_effort_min;
                self.add_to_run(session, placed, planned, i);
            }
            if let Some(to_min) = placed.alone_to_min.filter(|to_min| *to_min > placed.to_min) {
                unattended.push(Alone {
                    of: *of,
                    name: name.clone(),
                    named: work.named.clone(),
                    barrel: work.barrel,
                    from: after(now, to_min - work.unattended_min),
                    to: after(now, to_min),
                });
            }
        }
        for session in &mut sessions {
            session.strain = Strain::of(session.strain_share);
            session.runs.iter_mut().for_each(BatchRun::tell_steps);
        }
        sessions.extend(self.skipped.iter().map(|one| self.session(one, true)));
        sessions.sort_by_key(|one| one.from);
        let late = planned.late.iter().map(|late| {
            let Named { of, orders, name, due, .. } = &self.wanted[late.job];
            let day = due.map_or(String::new(), date::short);
            let over = self.sessions.jobs[late.job].due_min.is_some_and(|due| due <= 0.0);
            let text = match over {
                true => {
                    let done = self.sessions.jobs[late.job].due_min.unwrap_or(0.0) + late.by_min;
                    let done = after(now, done).to_zoned_datetime(self.begins.time_zone().clone());
                    text!("agenda-told-was-due-earliest-now", name, day, done = date::on(done.date()))
                }
                false => text!("agenda-told-due-late", name, day, by_min = span(late.by_min)),
            };
            Unmet { of: *of, orders: orders.clone(), text }
        });
        let unplaced = planned.unplaced.iter().map(|one| {
            let Named { of, orders, name, due, .. } = &self.wanted[one.job];
            let due = due.map_or(String::new(), |day| text!("agenda-told-due", day = date::short(day)));
            let text = format!("{name}{due}: {}", one.text);
            Unmet { of: *of, orders: orders.clone(), text }
        });
        let unmet: Vec<Unmet> = self.cannot.iter().cloned().chain(unplaced).chain(late).collect();
        let ready = self.ready(planned);
        Agenda {
            begins: now,
            sessions,
            unattended,
            text: told(&ready, &unmet),
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
        let each = self.wanted.iter().enumerate().filter_map(|(job, Named { of, orders, name, due, .. })| {
            let at = after(self.begins.timestamp(), done(job)?);
            let day = at.to_zoned_datetime(self.begins.time_zone().clone()).date();
            let late = due.is_some_and(|due| day > due);
            let (name, orders) = (name.clone(), orders.clone());
            Some(Ready { of: *of, name, orders, at, day, due: *due, late })
        });
        let mut ready: Vec<Ready> = each.collect();
        ready.sort_by_key(|one| (one.due.unwrap_or(Date::MAX), one.at));
        ready
    }

    /// Adds a step to the batch that is worked on, or begins with another.
    fn add_to_run(&self, session: &mut AgendaSession, placed: &Placed, planned: &Planned, at: usize) {
        let now = self.begins.timestamp();
        let index = &self.index[placed.job][placed.work];
        let work = &self.sessions.jobs[placed.job].works[placed.work];
        let Named { of, name, counted, due, .. } = &self.wanted[placed.job];
        let step = SessionStep {
            step_n: index.step_n,
            named: work.named.clone(),
            n: placed.n,
            of_n: index.of_n,
            from: after(now, placed.from_min),
            to: after(now, placed.to_min),
            sets_up: placed.sets_up,
        };
        // What waits for the tumbler in between is begun anew.
        let goes_on =
            placed.because == Because::Continues && session.runs.last().is_some_and(|run| run.of == *of);
        let hands_min = placed.to_min - placed.from_min;
        match session.runs.last_mut().filter(|_| goes_on) {
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
            None => session.runs.push(BatchRun {
                of: *of,
                name: name.clone(),
                counted: counted.clone(),
                steps_text: String::new(),
                from: step.from,
                to: step.to,
                hands_min,
                because: placed.because,
                reason: self.why(placed, planned, at, *due),
                steps: vec![step],
            }),
        }
    }

    /// What made a batch begin when it does, in a sentence.
    fn why(&self, placed: &Placed, planned: &Planned, at: usize, due: Option<Date>) -> String {
        let due = due.map(date::short);
        match (placed.because, due) {
            (Because::Pinned, _) => text!("agenda-told-pinned-by-you").to_owned(),
            (Because::Ready, _) => {
                let before = planned.placed[..at].iter().rfind(|one| one.job == placed.job);
                match before.map(|one| &self.sessions.jobs[one.job].works[one.work]) {
                    Some(work) if work.barrel => text!("agenda-told-comes-out-tumbler-then").to_owned(),
                    Some(work) => text!("agenda-told-after-ready-then", named = work.named),
                    None => text!("agenda-told-what-runs-on-its-own").to_owned(),
                }
            }
            (Because::BarrelFree, _) => text!("agenda-told-tumbler-free-then").to_owned(),
            (Because::SameTools, _) if self.sessions.jobs[placed.job].works[placed.work].barrel => {
                text!("agenda-told-shares-tumbler-load").to_owned()
            }
            (Because::SameTools, _) => text!("agenda-told-tools-already-out").to_owned(),
            (Because::Due, Some(day)) => text!("agenda-told-due-first-due", day),
            (Because::Due, None) => text!("agenda-told-first-due").to_owned(),
            (Because::Continues, _) => text!("agenda-told-goes-on-from-before").to_owned(),
            (Because::WhileOthersWait, Some(day)) => text!("agenda-told-due-what-due-before-has", day),
            (Because::WhileOthersWait, None) => text!("agenda-told-uses-time-while-what-due").to_owned(),
            (Because::NothingDue, _) => text!("agenda-told-nothing-due-that-could-be").to_owned(),
            (Because::BetterOrder, Some(day)) => text!("agenda-told-due-works-out-better-in", day),
            (Because::BetterOrder, None) => text!("agenda-told-works-out-better-in-this").to_owned(),
        }
    }

    fn helped(&self, help: &Helps) -> Help {
        let what = match help.way {
            Way::MoreTime { min, session } => {
                let from = after(self.begins.timestamp(), self.sessions.sessions[session].from_min);
                let day = from.to_zoned_datetime(self.begins.time_zone().clone());
                text!("agenda-told-add-min-on", min = fixed(min, 0), day = date::on(day.date()))
            }
            Way::Fewer { job, n } => text!("agenda-told-make-fewer", n, name = self.wanted[job].name),
            Way::LongerSessions { min } => {
                text!("agenda-told-work-min-longer-each-session", min = fixed(min, 0))
            }
            Way::Softer => text!("agenda-told-use-softer-or-thinner-wire").to_owned(),
        };
        let then = if help.in_time {
            text!("agenda-told-everything-done-on-time")
        } else {
            text!("agenda-told-more-done-on-time")
        };
        Help { text: format!("{what}: {then}."), in_time: help.in_time }
    }

    fn session(&self, one: &TimeSpan, skipped: bool) -> AgendaSession {
        let now = self.begins.timestamp();
        let (from, to) = (after(now, one.from_min), after(now, one.to_min));
        let wall = |at: Timestamp| at.to_zoned_datetime(self.begins.time_zone().clone());
        let clock =
            text!("agenda-told-to", from = wall(from).strftime("%H:%M"), to = wall(to).strftime("%H:%M"));
        AgendaSession {
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
    match unmet.len() {
        0 => {}
        1 => return text!("agenda-told-one-batch-late-or-finds").to_owned(),
        n => return text!("agenda-told-batches-late-or-find-no", n),
    }
    let Some((first, due)) = ready.iter().find_map(|one| Some((one, one.due?))) else {
        return if ready.is_empty() {
            String::new()
        } else {
            text!("agenda-told-nothing-has-due-date").to_owned()
        };
    };
    let early = first.day.until(due).map_or(0, |span| span.get_days());
    let early = match early {
        early if early <= 0 => text!("agenda-told-on-its-due-day").to_owned(),
        early => text!("agenda-told-early", early = text!("count-day", n = early.unsigned_abs())),
    };
    text!("agenda-told-everything-on-time-ready", name = first.name, day = date::on(first.day), early)
}

/// So long in words, for people: `3 hours`, `2 days`.
fn span(min: f64) -> String {
    let whole = |value: f64| {
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "a few thousand")]
        let whole = value.round().clamp(1.0, 1e6) as u32;
        whole
    };
    match min {
        min if min < 90.0 => text!("count-minute", n = whole(min)),
        min if min < 36.0 * 60.0 => text!("count-hour", n = whole(min / 60.0)),
        min => text!("count-day", n = whole(min / 1440.0)),
    }
}

impl BatchRun {
    /// Says from which step to which it goes.
    fn tell_steps(&mut self) {
        let (first, last) = (self.steps.first(), self.steps.last());
        self.steps_text = match first.zip(last) {
            Some((first, last)) if first.step_n != last.step_n => {
                text!("agenda-told-to-2", from = first.step_n, to = last.step_n)
            }
            Some((only, _)) if only.n < only.of_n => {
                text!("agenda-told-of", named = only.named, n = only.n, of_n = only.of_n)
            }
            Some((only, _)) => only.named.clone(),
            None => String::new(),
        };
    }

    /// A line of the schedule: `Ear wires for the theatre: 17 pairs, steps 1 to 10`.
    #[must_use]
    pub fn line(&self) -> String {
        format!("{}: {}, {}", self.name, self.counted, self.steps_text)
    }
}
