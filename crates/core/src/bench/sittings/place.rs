//! Lays works into sittings, one after another, by keys: whatever the keys, nothing is done before its time, at once, past
//! a limit, or in quiet hours.

use super::{Because, Late, Placed, Planned, Sittings, Stretch, Unplaced, Work};

/// How works are chosen from those that can be done: the greatest key first.
#[derive(Debug, Clone, PartialEq)]
pub struct Keys {
    /// A key for each work of each job.
    pub of: Vec<Vec<f64>>,
    /// How much the same tools weigh against a key.
    pub same_tools: f64,
    /// How long a work with a greater key is waited for, minutes.
    pub patience_min: f64,
}

impl Keys {
    /// By due day: what is due first has the greatest keys.
    #[must_use]
    pub fn by_due(sittings: &Sittings) -> Self {
        let key = |due: Option<f64>| -due.unwrap_or(1e7);
        let of = sittings.jobs.iter().map(|job| vec![key(job.due_min); job.works.len()]);
        Self { of: of.collect(), same_tools: 0.0, patience_min: 0.0 }
    }
}

/// Where a job is while it is laid.
struct Going {
    work: usize,
    left_n: u32,
    /// When its next work can begin.
    ready_min: f64,
    /// Nothing more of it finds a place.
    stuck: bool,
}

/// The bench while it is laid: where the hands of the clock are, and what this sitting had so far.
struct Bench<'a> {
    plan: &'a Sittings,
    sitting: usize,
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
    fn here(&self) -> Option<Stretch> {
        self.plan.sittings.get(self.sitting).copied()
    }

    /// Goes on to a moment; past the end of the sitting to the next.
    fn go_to(&mut self, at_min: f64) {
        if at_min - self.now_min >= self.plan.rest_min {
            self.since_rest_min = 0.0;
        }
        self.now_min = self.now_min.max(at_min);
        while self.here().is_some_and(|here| self.now_min >= here.to_min - EPS) {
            self.next_sitting();
        }
    }

    fn next_sitting(&mut self) {
        self.sitting += 1;
        (self.hands_min, self.effort_min, self.since_rest_min, self.laid_out) = (0.0, 0.0, 0.0, None);
        if let Some(here) = self.here() {
            self.now_min = self.now_min.max(here.from_min);
        }
    }

    /// Minutes of hand work that still go into this sitting before its next rest.
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
        let mut from = from_min.max(self.barrel_free_min);
        for quiet in &self.plan.quiet {
            if from < quiet.to_min - EPS && from + runs_min > quiet.from_min + EPS {
                from = quiet.to_min;
            }
        }
        from
    }
}

impl Sittings {
    /// Lays every work by these keys.
    #[must_use]
    pub fn placed_by(&self, keys: &Keys) -> Planned {
        let mut bench = Bench {
            plan: self,
            sitting: 0,
            now_min: self.sittings.first().map_or(0.0, |first| first.from_min),
            hands_min: 0.0,
            effort_min: 0.0,
            since_rest_min: 0.0,
            laid_out: None,
            barrel_free_min: f64::NEG_INFINITY,
        };
        let mut going: Vec<Going> = self
            .jobs
            .iter()
            .map(|job| Going {
                work: 0,
                left_n: job.works.first().map_or(0, |work| work.n),
                ready_min: f64::NEG_INFINITY,
                stuck: false,
            })
            .collect();
        let mut plan = Planned::default();
        for (job, here) in going.iter_mut().enumerate() {
            self.pass_over_done(job, here);
        }
        while bench.here().is_some() {
            let Some(job) = self.choose(keys, &going, &bench) else { break };
            self.lay(job, &mut going, &mut bench, &mut plan);
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
        let ready =
            here.ready_min.max(self.held(job, here.work).unwrap_or(f64::NEG_INFINITY)).max(bench.now_min);
        if !work.barrel {
            return ready;
        }
        let hands = bench.layout_min(work) + work.each_min;
        bench.barrel_from(ready + hands, work.unattended_min) - hands
    }

    fn choose(&self, keys: &Keys, going: &[Going], bench: &Bench) -> Option<usize> {
        let open = |(job, here): &(usize, &Going)| !here.stuck && here.work < self.jobs[*job].works.len();
        let begins: Vec<(usize, f64)> = going
            .iter()
            .enumerate()
            .filter(open)
            .map(|(job, here)| (job, self.can_begin(job, here, bench)))
            .collect();
        let first = begins.iter().map(|(_, at)| *at).fold(f64::INFINITY, f64::min);
        let key = |job: usize| {
            let here = &going[job];
            let same = !bench.lays_out(&self.jobs[job].works[here.work]);
            keys.of[job][here.work] + if same { keys.same_tools } else { 0.0 }
        };
        let soon = begins.into_iter().filter(|(_, at)| *at <= first + keys.patience_min + EPS);
        soon.max_by(|a, b| key(a.0).total_cmp(&key(b.0)).then(b.1.total_cmp(&a.1)).then(b.0.cmp(&a.0)))
            .map(|(job, _)| job)
    }

    /// Lays as much of a job's next work as goes in at once.
    fn lay<'a>(&'a self, job: usize, going: &mut [Going], bench: &mut Bench<'a>, plan: &mut Planned) {
        let begins = self.can_begin(job, &going[job], bench);
        let waited = begins > bench.now_min + EPS;
        bench.go_to(begins);
        if bench.here().is_none() {
            return;
        }
        let here = &mut going[job];
        let work = &self.jobs[job].works[here.work];
        // A load of the barrel runs before the next is put in.
        let want = if work.unattended_min > 0.0 && work.barrel { 1 } else { here.left_n };
        if self.can_begin(job, here, bench) > bench.now_min + EPS {
            // The next sitting began in quiet hours, or while the barrel ran.
            return;
        }
        let n = bench.fits(work, want);
        if n == 0 {
            return self.no_room(work, here, bench);
        }
        let lays_out = bench.lays_out(work);
        let took = bench.layout_min(work) + f64::from(n) * work.each_min;
        let goes_on = plan.placed.last().is_some_and(|last| last.job == job);
        let because = match self.held(job, here.work) {
            Some(at) if (at - bench.now_min).abs() < EPS => Because::Pinned,
            _ if !lays_out && !goes_on => Because::SameTools,
            _ if waited => Because::WasReadyThen,
            _ if goes_on => Because::GoesOn,
            _ if self.presses_most(job, going) => Because::Due,
            _ => Because::Time,
        };
        let here = &mut going[job];
        let (from_min, to_min) = (bench.now_min, bench.now_min + took);
        bench.now_min = to_min;
        bench.hands_min += took;
        bench.effort_min += f64::from(n) * work.effort_each_min;
        bench.since_rest_min += took;
        bench.laid_out = Some(&work.setup);
        here.left_n -= n;
        here.ready_min = to_min;
        let mut alone_to_min = None;
        if work.unattended_min > 0.0 && (work.barrel || here.left_n == 0) {
            here.ready_min = to_min + work.unattended_min;
            alone_to_min = Some(here.ready_min);
            if work.barrel {
                bench.barrel_free_min = here.ready_min;
            }
        }
        plan.layouts_n += u32::from(lays_out);
        let (sitting, work) = (bench.sitting, here.work);
        plan.placed.push(Placed { job, work, sitting, from_min, to_min, n, lays_out, alone_to_min, because });
        self.pass_over_done(job, here);
        if bench.since_rest_min >= self.rest_every_min - EPS {
            bench.go_to(bench.now_min + self.rest_min);
        }
    }

    /// Nothing of a work goes in now: after a rest, in the next sitting, or never.
    fn no_room(&self, work: &Work, here: &mut Going, bench: &mut Bench) {
        let needs = work.setting_up_min + work.each_min;
        let longest = self.sittings.iter().map(|one| one.to_min - one.from_min).fold(0.0, f64::max);
        let most = longest.min(self.most_min).min(self.rest_every_min);
        if needs > most + EPS || work.effort_each_min > self.most_effort_min + EPS {
            here.stuck = true;
        } else if bench.since_rest_min > 0.0 && bench.rest_would_do(work) {
            bench.go_to(bench.now_min + self.rest_min);
            bench.since_rest_min = 0.0;
        } else if let Some(next) = self.sittings.get(bench.sitting + 1) {
            // What is shorter may still go in before.
            here.ready_min = here.ready_min.max(next.from_min);
        } else {
            here.stuck = true;
        }
    }

    fn presses_most(&self, job: usize, going: &[Going]) -> bool {
        let due = |job: usize| self.jobs[job].due_min.unwrap_or(f64::INFINITY);
        let open = going.iter().enumerate().filter(|(other, here)| here.work < self.jobs[*other].works.len());
        due(job).is_finite() && open.map(|(other, _)| due(other)).fold(f64::INFINITY, f64::min) >= due(job)
    }

    /// What found no place, and what is late.
    fn finish(&self, going: &[Going], plan: &mut Planned) {
        let longest = self.sittings.iter().map(|one| one.to_min - one.from_min).fold(0.0, f64::max);
        for (job, here) in going.iter().enumerate() {
            let Some(work) = self.jobs[job].works.get(here.work) else { continue };
            let named = &work.named;
            let sentence = if self.sittings.is_empty() {
                "No bench hours yet: enter when you work at the bench.".to_owned()
            } else if work.effort_each_min > self.most_effort_min {
                format!("One “{named}” is too much for the hands in one session: use softer or thinner wire.")
            } else if work.setting_up_min + work.each_min
                > longest.min(self.most_min).min(self.rest_every_min)
            {
                format!("One “{named}” takes longer than a session, or than the time between rests.")
            } else {
                format!("No time left for “{named}” and the steps after it: add hours, or make fewer.")
            };
            let after = self.jobs[job].works[here.work + 1..].iter().map(|work| work.n);
            let n = after.fold(here.left_n, u32::saturating_add);
            plan.unplaced.push(Unplaced { job, work: here.work, n, sentence });
        }
        plan.ends_min = going.iter().map(|here| here.ready_min.max(0.0)).sum();
        for (job, here) in going.iter().enumerate() {
            let Some(due) = self.jobs[job].due_min else { continue };
            if here.work >= self.jobs[job].works.len() && here.ready_min > due + EPS {
                plan.late.push(Late { job, by_min: here.ready_min - due });
            }
        }
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
