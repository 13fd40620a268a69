//! Places works in sessions, one after another, by keys: whatever the keys, nothing is done before its time, at once, past
//! a limit, or in quiet hours.

use super::{
    Because, INTERRUPTION_MIN, LOAD_MIN, Late, Placed, Planned, ScheduleRequest, TimeSpan, Unplaced, Work,
};
use lorimant_text::{fixed, text};

/// How works are chosen from those that can be done: the greatest key first.
#[derive(Debug, Clone, PartialEq)]
pub struct Keys {
    /// A key for each work of each job, a plain number.
    pub of: Vec<Vec<f64>>,
    /// How much the batch in hand weighs, in the units of the keys: as long as it can go on, it does.
    pub in_hand: f64,
    /// How much the same tools weigh, in the units of the keys.
    pub same_tools: f64,
    /// How much less, in the units of the keys, a load weighs that others of its metal could still come to.
    pub load_waits: f64,
    /// How long a work with a greater key is waited for, minutes.
    pub patience_min: f64,
    /// Whether a work is parted where one with a greater key becomes ready meanwhile.
    pub yields: bool,
    /// Another batch is not begun with less than this left of a session, minutes.
    pub least_run_min: f64,
}

impl Keys {
    /// By due day: what is due first has the greatest keys, and what is begun goes on.
    #[must_use]
    pub fn by_due(sessions: &ScheduleRequest) -> Self {
        let key = |due: Option<f64>| -due.unwrap_or(NO_DUE_MIN);
        let of = sessions.jobs.iter().map(|job| vec![key(job.due_min); job.works.len()]);
        Self {
            of: of.collect(),
            in_hand: 2.0 * NO_DUE_MIN,
            same_tools: 0.0,
            load_waits: 0.0,
            patience_min: 0.0,
            yields: false,
            least_run_min: 0.0,
        }
    }
}

/// Nobody begins a batch for less than this at the end of a session, minutes.
pub(super) const SHORT_RUN_MIN: f64 = 12.0;

/// What has no due day comes after whatever has one, minutes.
const NO_DUE_MIN: f64 = 1e7;

/// Where a job is while it is placed.
struct Going {
    work: usize,
    left_n: u32,
    /// When what comes before its next work is done.
    ready_min: f64,
    /// There is no room for it before then.
    room_from_min: f64,
    /// Whether what comes before runs by itself.
    waits: bool,
    /// Nothing more of it finds a place.
    stuck: bool,
}

/// The bench while it is planned: where the hands of the clock are, and what this session had so far.
struct Bench<'a> {
    plan: &'a ScheduleRequest,
    session: usize,
    now_min: f64,
    hands_min: f64,
    effort_min: f64,
    since_rest_min: f64,
    laid_out: Option<&'a str>,
    barrel_free_min: f64,
}

/// Differences below this are none, minutes.
const EPS: f64 = 1e-6;

impl<'a> Bench<'a> {
    fn here(&self) -> Option<TimeSpan> {
        self.plan.sessions.get(self.session).copied()
    }

    /// Goes on to a moment; past the end of the session to the next.
    fn go_to(&mut self, at_min: f64) {
        if at_min - self.now_min >= self.plan.rest_min {
            self.since_rest_min = 0.0;
        }
        self.now_min = self.now_min.max(at_min);
        while self.here().is_some_and(|here| self.now_min >= here.to_min - EPS) {
            self.next_session();
        }
    }

    fn next_session(&mut self) {
        self.session += 1;
        (self.hands_min, self.effort_min, self.since_rest_min, self.laid_out) = (0.0, 0.0, 0.0, None);
        if let Some(here) = self.here() {
            self.now_min = self.now_min.max(here.from_min);
        }
    }

    /// Minutes of hand work that still go into this session before its next rest.
    fn room_min(&self) -> f64 {
        let Some(here) = self.here() else { return 0.0 };
        let until_end = here.to_min - self.now_min;
        let until_limit = self.plan.most_min - self.hands_min;
        until_end.min(until_limit).min(self.plan.rest_every_min - self.since_rest_min)
    }

    /// How many of a work go in now, after its tools are laid out.
    fn fits(&self, work: &Work, left_n: u32) -> u32 {
        let room = self.room_min() - self.layout_min(work);
        if room < -EPS {
            return 0;
        }
        let by = |room: f64, each: f64| {
            if each > 0.0 { ((room + EPS) / each).floor().max(0.0) } else { f64::INFINITY }
        };
        let n = by(room, work.each_min)
            .min(by(self.plan.most_effort_min - self.effort_min, work.effort_each_min));
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "no more than are left")]
        let n = n.min(f64::from(left_n)) as u32;
        n
    }

    fn lays_out(&self, work: &Work) -> bool {
        self.laid_out != Some(work.setup.as_str())
    }

    fn layout_min(&self, work: &Work) -> f64 {
        if self.lays_out(work) { work.setting_up_min } else { 0.0 }
    }

    /// The first moment from which the barrel may run so long.
    fn barrel_from(&self, from_min: f64, runs_min: f64) -> f64 {
        self.barrel_quiet_from(from_min.max(self.barrel_free_min), runs_min)
    }

    /// The same as far as quiet hours go.
    fn barrel_quiet_from(&self, from_min: f64, runs_min: f64) -> f64 {
        let mut from = from_min;
        for quiet in &self.plan.quiet {
            if from < quiet.to_min - EPS && from + runs_min > quiet.from_min + EPS {
                from = quiet.to_min;
            }
        }
        from
    }
}

impl ScheduleRequest {
    /// Places every work by these keys.
    #[must_use]
    pub fn placed_by(&self, keys: &Keys) -> Planned {
        let mut bench = Bench {
            plan: self,
            session: 0,
            now_min: self.sessions.first().map_or(0.0, |first| first.from_min),
            hands_min: 0.0,
            effort_min: 0.0,
            since_rest_min: 0.0,
            laid_out: None,
            barrel_free_min: self.barrel_busy_to_min.unwrap_or(f64::NEG_INFINITY),
        };
        let mut going: Vec<Going> = self
            .jobs
            .iter()
            .map(|job| Going {
                work: 0,
                left_n: job.works.first().map_or(0, |work| work.n),
                ready_min: job.ready_min.unwrap_or(f64::NEG_INFINITY),
                room_from_min: f64::NEG_INFINITY,
                waits: job.ready_min.is_some(),
                stuck: false,
            })
            .collect();
        let mut plan = Planned::default();
        for (job, here) in going.iter_mut().enumerate() {
            self.pass_over_done(job, here);
        }
        while bench.here().is_some() {
            let Some(job) = self.choose(keys, &going, &bench, &plan) else { break };
            self.lay(keys, job, &mut going, &mut bench, &mut plan);
        }
        self.finish(&going, &mut plan);
        plan
    }

    /// Works of which nothing is left take no time.
    fn pass_over_done(&self, job: usize, here: &mut Going) {
        while here.left_n == 0 && here.work < self.jobs[job].works.len() {
            here.work += 1;
            here.left_n = self.jobs[job].works.get(here.work).map_or(0, |work| work.n);
        }
    }

    fn held(&self, job: usize, work: usize) -> Option<f64> {
        let pins = self.pins.iter().filter(|pin| pin.job == job && pin.work == work);
        pins.map(|pin| pin.not_before_min).reduce(f64::max)
    }

    /// When a job's next work can begin: after what comes before it, where it is held, when the barrel may run.
    fn can_begin(&self, job: usize, here: &Going, bench: &Bench) -> f64 {
        let work = &self.jobs[job].works[here.work];
        let ready = here
            .ready_min
            .max(here.room_from_min)
            .max(self.held(job, here.work).unwrap_or(f64::NEG_INFINITY))
            .max(bench.now_min);
        if !work.barrel {
            return ready;
        }
        let hands = bench.layout_min(work) + work.each_min;
        bench.barrel_from(ready + hands, work.unattended_min) - hands
    }

    /// The jobs of which something is left, with the moment at which each can go on.
    fn begins(&self, going: &[Going], bench: &Bench) -> Vec<(usize, f64)> {
        let open = |(job, here): &(usize, &Going)| !here.stuck && here.work < self.jobs[*job].works.len();
        going
            .iter()
            .enumerate()
            .filter(open)
            .map(|(job, here)| (job, self.can_begin(job, here, bench)))
            .collect()
    }

    fn choose(&self, keys: &Keys, going: &[Going], bench: &Bench, plan: &Planned) -> Option<usize> {
        let begins = self.begins(going, bench);
        let first = begins.iter().map(|(_, at)| *at).fold(f64::INFINITY, f64::min);
        let in_hand = plan.placed.last().map(|last| last.job);
        let key = |job: usize| {
            let here = &going[job];
            let work = &self.jobs[job].works[here.work];
            let same = !bench.lays_out(work);
            keys.of[job][here.work]
                + if same { keys.same_tools } else { 0.0 }
                + if in_hand == Some(job) { keys.in_hand } else { 0.0 }
                - if self.others_may_come(job, work, going) { keys.load_waits } else { 0.0 }
        };
        let soon = begins.into_iter().filter(|(_, at)| *at <= first + keys.patience_min + EPS);
        soon.max_by(|a, b| key(a.0).total_cmp(&key(b.0)).then(b.1.total_cmp(&a.1)).then(b.0.cmp(&a.0)))
            .map(|(job, _)| job)
    }

    /// Whether a load has room for what other jobs still have to bring to the barrel.
    fn others_may_come(&self, job: usize, work: &Work, going: &[Going]) -> bool {
        let fits =
            |other: &Work| other.barrel && other.setup == work.setup && other.fills + work.fills <= 1.0;
        let comes = |(other, here): (usize, &Going)| {
            other != job && !here.stuck && self.jobs[other].works.iter().skip(here.work + 1).any(fits)
        };
        work.barrel && going.iter().enumerate().any(comes)
    }

    /// Places as much of a job's next work as goes in at once.
    fn lay<'a>(
        &'a self,
        keys: &Keys,
        job: usize,
        going: &mut [Going],
        bench: &mut Bench<'a>,
        plan: &mut Planned,
    ) {
        let begins = self.can_begin(job, &going[job], bench);
        let free_min = bench.now_min;
        bench.go_to(begins);
        if bench.here().is_none() {
            return;
        }
        let work = &self.jobs[job].works[going[job].work];
        // A load of the barrel runs before the next is put in.
        let want = if work.unattended_min > 0.0 && work.barrel { 1 } else { going[job].left_n };
        if self.can_begin(job, &going[job], bench) > bench.now_min + EPS {
            // The next session began in quiet hours, or while the barrel ran.
            return;
        }
        let in_hand = plan.placed.last().is_some_and(|last| last.job == job && last.session == bench.session);
        let left_min = bench.here().map_or(0.0, |here| here.to_min - bench.now_min);
        if !in_hand
            && left_min < keys.least_run_min
            && self.hands_left_min(job, &going[job]) > left_min
            && let Some(next) = self.sessions.get(bench.session + 1)
        {
            going[job].room_from_min = next.from_min;
            return;
        }
        let n = bench.fits(work, want);
        if n == 0 {
            return self.no_room(work, &mut going[job], bench);
        }
        let n = if keys.yields { self.until_more_urgent(keys, job, n, going, bench) } else { n };
        let because = self.because(job, going, bench, plan, free_min);
        if self.interrupts(job, going, bench, plan) {
            plan.interruptions_n += 1;
        }
        self.put(job, n, because, &mut going[job], bench, plan);
        if work.barrel && work.unattended_min > 0.0 {
            self.share_the_load(work, going, bench, plan);
        }
        if bench.since_rest_min >= self.rest_every_min - EPS {
            bench.go_to(bench.now_min + self.rest_min);
        }
    }

    /// Minutes of hand work that are left of a job, tools left out.
    fn hands_left_min(&self, job: usize, here: &Going) -> f64 {
        let works = &self.jobs[job].works;
        let after = works[here.work + 1..].iter().map(|work| f64::from(work.n) * work.each_min);
        f64::from(here.left_n) * works[here.work].each_min + after.sum::<f64>()
    }

    /// How many are done before a work with a greater key becomes ready, at least one.
    fn until_more_urgent(&self, keys: &Keys, job: usize, n: u32, going: &[Going], bench: &Bench) -> u32 {
        let work = &self.jobs[job].works[going[job].work];
        let key = |job: usize| keys.of[job][going[job].work];
        let begins = self.begins(going, bench).into_iter();
        let urgent = begins.filter(|(other, at)| *at > bench.now_min + EPS && key(*other) > key(job));
        let Some(until) = urgent.map(|(_, at)| at).reduce(f64::min) else { return n };
        let room = (until - bench.now_min - bench.layout_min(work)) / work.each_min.max(EPS);
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "no more than n")]
        let fits = room.clamp(1.0, f64::from(n)) as u32;
        fits
    }

    /// Puts so many of a job's next work at the moment the hands are free.
    fn put<'a>(
        &'a self,
        job: usize,
        n: u32,
        because: Because,
        here: &mut Going,
        bench: &mut Bench<'a>,
        plan: &mut Planned,
    ) {
        let work = &self.jobs[job].works[here.work];
        let sets_up = bench.lays_out(work);
        let took = bench.layout_min(work) + f64::from(n) * work.each_min;
        let (from_min, to_min) = (bench.now_min, bench.now_min + took);
        bench.now_min = to_min;
        bench.hands_min += took;
        bench.effort_min += f64::from(n) * work.effort_each_min;
        bench.since_rest_min += took;
        bench.laid_out = Some(&work.setup);
        here.left_n -= n;
        here.ready_min = to_min;
        here.waits = false;
        let mut alone_to_min = None;
        if work.unattended_min > 0.0 && (work.barrel || here.left_n == 0) {
            here.ready_min = to_min + work.unattended_min;
            here.waits = true;
            alone_to_min = Some(here.ready_min);
            if work.barrel {
                bench.barrel_free_min = here.ready_min;
            }
        }
        plan.layouts_n += u32::from(sets_up);
        plan.cost.changes_min += if sets_up { work.setting_up_min } else { 0.0 };
        let session = bench.session;
        let work = here.work;
        plan.placed.push(Placed { job, work, session, from_min, to_min, n, sets_up, alone_to_min, because });
        self.pass_over_done(job, here);
    }

    /// Puts what is ready for the barrel, goes in with what was just put there and leaves room, into the same load: it runs
    /// once all of it is in.
    fn share_the_load<'a>(
        &'a self,
        first: &Work,
        going: &mut [Going],
        bench: &mut Bench<'a>,
        plan: &mut Planned,
    ) {
        let mut filled = first.fills;
        let mut riders = vec![plan.placed.len() - 1];
        for (job, here) in going.iter_mut().enumerate() {
            let Some(work) = self.jobs[job].works.get(here.work) else { continue };
            let same = work.barrel
                && work.setup == first.setup
                && (work.unattended_min - first.unattended_min).abs() < EPS;
            let ready = here.ready_min.max(self.held(job, here.work).unwrap_or(f64::NEG_INFINITY));
            let room = here.left_n == 1 && filled + work.fills <= 1.0 + EPS && ready <= bench.now_min + EPS;
            let runs_from = bench.now_min + work.each_min;
            let in_time = bench.barrel_quiet_from(runs_from, work.unattended_min) <= runs_from + EPS;
            if here.stuck || !same || !room || !in_time || bench.fits(work, 1) == 0 {
                continue;
            }
            filled += work.fills;
            self.put(job, 1, Because::SameTools, here, bench, plan);
            riders.push(plan.placed.len() - 1);
        }
        // The load runs from when the last of it is in.
        let to_min = bench.now_min + first.unattended_min;
        for at in riders {
            let rider = &mut plan.placed[at];
            rider.alone_to_min = Some(to_min);
            going[rider.job].ready_min = to_min;
        }
        bench.barrel_free_min = to_min;
        plan.cost.changes_min += LOAD_MIN;
    }

    /// Whether a batch is left for this one that could go on now.
    fn interrupts(&self, job: usize, going: &[Going], bench: &Bench, plan: &Planned) -> bool {
        let Some(last) = plan.placed.last().filter(|last| last.job != job) else { return false };
        let here = &going[last.job];
        // What waits for the barrel lies in its tray: nothing is left in the middle.
        !here.stuck
            && self.jobs[last.job].works.get(here.work).is_some_and(|work| !work.barrel)
            && self.can_begin(last.job, here, bench) <= bench.now_min + EPS
    }

    /// What makes a job's next work begin now, where the hands were free from a moment on.
    fn because(&self, job: usize, going: &[Going], bench: &Bench, plan: &Planned, free_min: f64) -> Because {
        let here = &going[job];
        let work = &self.jobs[job].works[here.work];
        let now = bench.now_min;
        let is_now = |at: f64| (at - now).abs() < EPS;
        // What began later than its hands and its session allowed was waited for.
        let opens = bench.here().map_or(now, |here| here.from_min).max(free_min);
        if now > opens + EPS {
            if self.held(job, here.work).is_some_and(is_now) {
                return Because::Pinned;
            }
            if here.waits && is_now(here.ready_min) {
                return Because::Ready;
            }
            if work.barrel {
                return Because::BarrelFree;
            }
        }
        if self.held(job, here.work).is_some_and(is_now) {
            return Because::Pinned;
        }
        if plan.placed.last().is_some_and(|last| last.job == job) {
            return Because::Continues;
        }
        if !bench.lays_out(work) {
            return Because::SameTools;
        }
        let due = |job: usize| self.jobs[job].due_min;
        let others = self.begins(going, bench).into_iter().filter(|(other, _)| *other != job);
        let dues: Vec<(f64, bool)> =
            others.filter_map(|(other, at)| Some((due(other)?, at <= now + EPS))).collect();
        let before = |mine: f64| dues.iter().filter(move |(other, _)| *other < mine - EPS);
        match due(job) {
            Some(mine) if before(mine).next().is_none() => Because::Due,
            Some(mine) if before(mine).all(|(_, can)| !can) => Because::WhileOthersWait,
            None if dues.is_empty() => Because::NothingDue,
            None if dues.iter().all(|(_, can)| !can) => Because::WhileOthersWait,
            _ => Because::BetterOrder,
        }
    }

    /// Nothing of a work goes in now: after a rest, in the next session, or never.
    fn no_room(&self, work: &Work, here: &mut Going, bench: &mut Bench) {
        let needs = work.setting_up_min + work.each_min;
        let longest = self.sessions.iter().map(|one| one.to_min - one.from_min).fold(0.0, f64::max);
        let most = longest.min(self.most_min).min(self.rest_every_min);
        if needs > most + EPS || work.effort_each_min > self.most_effort_min + EPS {
            here.stuck = true;
        } else if bench.since_rest_min > 0.0 && bench.rest_would_do(work) {
            bench.go_to(bench.now_min + self.rest_min);
            bench.since_rest_min = 0.0;
        } else if let Some(next) = self.sessions.get(bench.session + 1) {
            // What is shorter may still go in before.
            here.room_from_min = here.room_from_min.max(next.from_min);
        } else {
            here.stuck = true;
        }
    }

    /// What found no place, and what is late.
    fn finish(&self, going: &[Going], plan: &mut Planned) {
        let longest = self.sessions.iter().map(|one| one.to_min - one.from_min).fold(0.0, f64::max);
        for (job, here) in going.iter().enumerate() {
            let Some(work) = self.jobs[job].works.get(here.work) else { continue };
            let named = &work.named;
            let text = if self.sessions.is_empty() {
                text!("schedule-place-no-bench-hours-yet-enter").to_owned()
            } else if work.effort_each_min > self.most_effort_min {
                text!("schedule-place-one-too-much-for-hands", named)
            } else if work.setting_up_min + work.each_min
                > longest.min(self.most_min).min(self.rest_every_min)
            {
                text!("schedule-place-one-takes-longer-than-session", named)
            } else if work.barrel && self.never_quiet_for(work.unattended_min) {
                text!("schedule-place-runs-longer-than-tumbler-may", named)
            } else {
                let days = self.sessions.last().map_or(0.0, |last| (last.to_min / 1440.0).ceil());
                text!("schedule-place-no-time-left-in-next", days = fixed(days, 0), named)
            };
            let after = self.jobs[job].works[here.work + 1..].iter().map(|work| work.n);
            let n = after.fold(here.left_n, u32::saturating_add);
            plan.unplaced.push(Unplaced { job, work: here.work, n, text });
        }
        let over = self.sessions.last().map_or(0.0, |last| last.to_min);
        plan.interruptions_n += short_runs(&plan.placed);
        let cost = &mut plan.cost;
        cost.changes_min += INTERRUPTION_MIN * f64::from(plan.interruptions_n);
        for (job, here) in going.iter().enumerate() {
            let pieces_n = self.jobs[job].pieces_n;
            let done = here.work >= self.jobs[job].works.len();
            let ends_min = if done { here.ready_min.max(0.0) } else { over };
            cost.ends_min += ends_min;
            match self.jobs[job].due_min {
                Some(due) if !done || ends_min > due + EPS => {
                    let by_min = (ends_min - due).max(0.0);
                    cost.late_n = cost.late_n.saturating_add(pieces_n);
                    cost.late_piece_min += f64::from(pieces_n) * by_min;
                    if done {
                        plan.late.push(Late { job, by_min });
                    }
                }
                None if !done => cost.unplaced_n = cost.unplaced_n.saturating_add(pieces_n),
                _ => {}
            }
        }
    }

    /// Whether the barrel may never run so long between quiet hours.
    fn never_quiet_for(&self, runs_min: f64) -> bool {
        let gaps = self.quiet.windows(2).map(|pair| pair[1].from_min - pair[0].to_min);
        self.quiet.len() > 1 && gaps.fold(0.0, f64::max) < runs_min
    }
}

impl Bench<'_> {
    /// Whether a rest makes room that there is not now.
    fn rest_would_do(&self, work: &Work) -> bool {
        let Some(here) = self.here() else { return false };
        let after = here.to_min - self.now_min - self.plan.rest_min;
        let room = after.min(self.plan.most_min - self.hands_min).min(self.plan.rest_every_min);
        let effort = self.plan.most_effort_min - self.effort_min;
        room + EPS >= self.layout_min(work) + work.each_min && effort + EPS >= work.effort_each_min
    }
}

/// How often a batch is begun at the end of a session for a few minutes only, to be taken up again in the next.
fn short_runs(placed: &[Placed]) -> u32 {
    let mut short_n = 0;
    let mut begun = 0;
    for (i, one) in placed.iter().enumerate() {
        if placed[begun].job != one.job || placed[begun].session != one.session {
            begun = i;
        }
        let next = placed.get(i + 1);
        let last_of_session = next.is_none_or(|next| next.session != one.session);
        let goes_on = placed[i + 1..].iter().find(|later| later.job == one.job);
        let forced = one.alone_to_min.is_some() || begun == 0 || placed[begun - 1].session != one.session;
        if last_of_session
            && !forced
            && goes_on.is_some()
            && one.to_min - placed[begun].from_min < SHORT_RUN_MIN
        {
            short_n += 1;
        }
    }
    short_n
}
