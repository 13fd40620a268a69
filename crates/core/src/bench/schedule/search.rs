//! Looks for keys that cost less: small changes, kept where they do.

use super::place::{Keys, SHORT_RUN_MIN};
use super::{Planned, ScheduleRequest, cheaper};
use crate::chance::Chance;
use crate::fault::Faults;

/// How far a search is.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Progress {
    /// Plans that were tried.
    pub tried_n: u32,
    /// Of so many at most.
    pub of_n: u32,
}

/// So few works can be begun anew in any order.
const FEW: usize = 40;
/// So many plans in a row that are no better are enough of one corner.
const STALE: u32 = 120;
/// Most plans that are tried.
pub const MOST_TRIED: u32 = 4000;

impl ScheduleRequest {
    /// Places every work so that as many pieces as can be are done in time, then with few changes. `go_on` is asked after
    /// each plan that is tried; once it says no, the best so far is given.
    ///
    /// # Errors
    /// As [`ScheduleRequest::check`].
    pub fn plan(&self, seed: u64, go_on: &dyn Fn(Progress) -> bool) -> Result<Planned, Faults> {
        self.check()?;
        let mut chance = Chance::of(seed);
        let by_due = Keys::by_due(self);
        let mut best_keys = by_due.clone();
        let mut best = self.placed_by(&by_due);
        let spread = self.spread_min();
        // Whatever is found is no worse than what is due first by first, step by step or batch by batch; the same tools first,
        // as far as due days let them, is where some of the rest is found.
        let usual = by_due.in_hand;
        for (in_hand, same_tools, load_waits, yields) in [
            (0.0, 0.0, 0.0, true),
            (0.0, 0.0, 0.0, false),
            (usual, 0.0, 3.0 * usual, false),
            (spread, 0.0, spread, true),
            (0.0, spread * 0.3, 0.0, false),
            (spread, spread * 3.0, 0.0, false),
        ] {
            for least_run_min in [0.0, SHORT_RUN_MIN] {
                let keys = Keys { in_hand, same_tools, load_waits, yields, least_run_min, ..by_due.clone() };
                let tried = self.placed_by(&keys);
                if cheaper(tried.cost, best.cost) {
                    (best, best_keys) = (tried, keys);
                }
            }
        }
        let works: Vec<(usize, usize)> = self
            .jobs
            .iter()
            .enumerate()
            .flat_map(|(job, one)| (0..one.works.len()).map(move |work| (job, work)))
            .collect();
        if works.len() < 2 {
            return Ok(best);
        }
        if let Some(orders) = self.every_order() {
            // Few enough to try them all, each waited for in its turn.
            let of_n = u32::try_from(orders.len()).unwrap_or(u32::MAX);
            for (tried_n, keys) in (0..of_n).zip(orders) {
                if !go_on(Progress { tried_n, of_n }) {
                    break;
                }
                let tried = self.placed_by(&keys);
                if cheaper(tried.cost, best.cost) {
                    best = tried;
                }
            }
            return Ok(best);
        }
        let of_n = MOST_TRIED;
        let (mut keys, mut cost, mut since_better) = (best_keys.clone(), best.cost, 0);
        for tried_n in 0..of_n {
            if !go_on(Progress { tried_n, of_n }) {
                break;
            }
            if since_better > STALE {
                // Nothing better is near: from somewhere else, where that is not all too far off.
                let few = works.len() <= FEW && chance.share() < 0.7;
                keys = if few { self.anywhere(spread, &mut chance) } else { best_keys.clone() };
                (cost, since_better) = (self.placed_by(&keys).cost, 0);
            }
            let other = self.changed(&keys, &works, spread, &mut chance);
            let tried = self.placed_by(&other);
            since_better += 1;
            // As good is taken too: it leads on where nothing better is a single step away.
            if !cheaper(cost, tried.cost) {
                if cheaper(tried.cost, cost) {
                    since_better = 0;
                }
                (keys, cost) = (other, tried.cost);
                if cheaper(cost, best.cost) {
                    (best, best_keys) = (tried, keys.clone());
                }
            }
        }
        Ok(best)
    }

    /// Keys for every order in which the works can follow each other; none where there are more than are tried.
    fn every_order(&self) -> Option<Vec<Keys>> {
        let mut orders: Vec<Vec<usize>> = vec![vec![]];
        let all: usize = self.jobs.iter().map(|job| job.works.len()).sum();
        for _ in 0..all {
            let mut longer = vec![];
            for order in &orders {
                for (job, one) in self.jobs.iter().enumerate() {
                    if order.iter().filter(|other| **other == job).count() < one.works.len() {
                        longer.push(order.iter().copied().chain([job]).collect::<Vec<usize>>());
                    }
                }
            }
            orders = longer;
            if orders.len() > usize::try_from(MOST_TRIED).unwrap_or(usize::MAX) {
                return None;
            }
        }
        let keys = orders.into_iter().map(|order| {
            let mut of: Vec<Vec<f64>> = self.jobs.iter().map(|_| vec![]).collect();
            for (job, key) in order.iter().zip((0_u32..all.try_into().unwrap_or(u32::MAX)).rev()) {
                of[*job].push(f64::from(key));
            }
            Keys {
                of,
                in_hand: 0.0,
                same_tools: 0.0,
                load_waits: 0.0,
                patience_min: f64::INFINITY,
                yields: false,
                least_run_min: 0.0,
            }
        });
        Some(keys.collect())
    }

    /// Keys of no order at all.
    fn anywhere(&self, spread: f64, chance: &mut Chance) -> Keys {
        let mut keys = Keys::by_due(self);
        keys.in_hand = if chance.share() < 0.5 { 0.0 } else { keys.in_hand };
        keys.of.iter_mut().flatten().for_each(|key| *key = spread * chance.share());
        keys.same_tools = if chance.share() < 0.5 { 0.0 } else { chance.share() * 2.0 * spread };
        // Waited for whatever comes next, the keys are the order itself.
        keys.patience_min = [0.0, 60.0, 3000.0, 3000.0][chance.below(4)];
        keys
    }

    /// How far keys lie from each other, minutes: as far as due days do.
    fn spread_min(&self) -> f64 {
        let dues = || self.jobs.iter().filter_map(|job| job.due_min);
        let spread = dues().fold(f64::NEG_INFINITY, f64::max) - dues().fold(f64::INFINITY, f64::min);
        let days = self.sessions.last().map_or(0.0, |last| last.to_min);
        if spread.is_finite() && spread > 0.0 { spread.max(days / 4.0) } else { days.max(60.0) }
    }

    /// Keys with a few of them changed: a work, all of a job's, how the same tools weigh, how long is waited.
    fn changed(&self, from: &Keys, works: &[(usize, usize)], spread: f64, chance: &mut Chance) -> Keys {
        let mut keys = from.clone();
        for _ in 0..=chance.below(3) {
            let (job, work) = works[chance.below(works.len())];
            let shift = (chance.share() - 0.5) * spread * if chance.share() < 0.3 { 4.0 } else { 0.6 };
            match chance.below(8) {
                0 if chance.share() < 0.5 => keys.same_tools = chance.share() * chance.share() * 4.0 * spread,
                0 if chance.share() < 0.3 => keys.yields = !keys.yields,
                0 if chance.share() < 0.3 => keys.least_run_min = SHORT_RUN_MIN - keys.least_run_min,
                0 if chance.share() < 0.5 => keys.load_waits = [0.0, spread, 1e9][chance.below(3)],
                0 => keys.in_hand = [0.0, 0.3 * spread, spread, 1e8][chance.below(4)],
                1 => {
                    keys.patience_min = if chance.share() < 0.4 {
                        0.0
                    } else {
                        chance.share() * [180.0, 3000.0][chance.below(2)]
                    }
                }
                2..=4 => keys.of[job].iter_mut().for_each(|key| *key += shift),
                5 => {
                    // A work right after another that is laid out alike.
                    let (other, its) = works[chance.below(works.len())];
                    keys.of[job][work] = keys.of[other][its] + (chance.share() - 0.5) * 0.01 * spread;
                }
                _ => keys.of[job][work] += shift,
            }
        }
        keys
    }
}
