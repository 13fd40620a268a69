//! Keeping the two blanks of a pair on one piece of stock: wire of one lot springs alike, so the pair matches.

use super::score::Score;
use super::{CutRequest, SLACK_MM};

/// Most blanks, or pairs, that are given in exchange for one.
const MOST_EXCHANGED: u32 = 4;
/// Most pieces of stock with half a pair that are tried against each other, for each demand.
const MOST_TRIED: usize = 60;

impl CutRequest {
    /// Moves blanks between pieces of stock, some in exchange for others, until as few pairs as can be are cut from two:
    /// each time in the way that costs least wire. Nothing is made less for it.
    pub(super) fn pair_up(&self, counts: &mut [Vec<u32>]) {
        for demand in (0..self.demand.len()).filter(|d| self.demand[*d].pair) {
            while self.bring_together(counts, demand) {}
        }
    }

    /// How many pairs come from two pieces of stock.
    pub(super) fn split_pairs(&self, counts: &[Vec<u32>]) -> usize {
        let halves = |demand: usize| counts.iter().filter(|of| of[demand] % 2 == 1).count();
        (0..self.demand.len()).filter(|d| self.demand[*d].pair).map(|d| halves(d) / 2).sum()
    }

    /// Makes one pair whole in the way that costs least; says whether there was one.
    fn bring_together(&self, counts: &mut [Vec<u32>], demand: usize) -> bool {
        let halves: Vec<usize> =
            (0..counts.len()).filter(|s| counts[*s][demand] % 2 == 1).take(MOST_TRIED).collect();
        let mut best: Option<(Score, Move)> = None;
        for from in &halves {
            for to in halves.iter().filter(|to| *to != from) {
                for exchanged in self.exchanges(&counts[*to], demand) {
                    let way = Move { demand, from: *from, to: *to, exchanged };
                    let Some(score) = self.tried(counts, &way) else { continue };
                    if best.as_ref().is_none_or(|(least, _)| score.better_than(least)) {
                        best = Some((score, way));
                    }
                }
            }
        }
        if let Some((_, way)) = &best {
            way.make(counts);
        }
        best.is_some()
    }

    /// What may be given in exchange for a blank: nothing, or some of what else is cut there. Others that are pairs go
    /// in pairs, so that mending one splits none.
    fn exchanges(&self, there: &[u32], demand: usize) -> Vec<Option<(usize, u32)>> {
        let others = (0..self.demand.len()).filter(|other| *other != demand).flat_map(|other| {
            let step: u32 = if self.demand[other].pair { 2 } else { 1 };
            (1..=(there[other] / step).min(MOST_EXCHANGED)).map(move |n| Some((other, n * step)))
        });
        std::iter::once(None).chain(others).collect()
    }

    /// What moving a blank so adds to the score of the plan; nothing where it does not fit.
    fn tried(&self, counts: &mut [Vec<u32>], way: &Move) -> Option<Score> {
        let both = |counts: &[Vec<u32>]| {
            let (from, to) =
                (self.score_of(way.from, &counts[way.from]), self.score_of(way.to, &counts[way.to]));
            std::array::from_fn(|part| from.0[part] + to.0[part])
        };
        let before: [f64; 4] = both(counts);
        way.make(counts);
        let free = |s: usize| {
            let taken: f64 = counts[s].iter().enumerate().map(|(d, n)| f64::from(*n) * self.takes(d)).sum();
            self.room(s) - taken
        };
        let fits = free(way.from) >= -SLACK_MM && free(way.to) >= -SLACK_MM;
        let score = fits.then(|| {
            let after: [f64; 4] = both(counts);
            Score(std::array::from_fn(|part| after[part] - before[part]))
        });
        way.back(counts);
        score
    }
}

/// One blank moved from a piece of stock to another, in exchange for others of it where it has no room.
struct Move {
    demand: usize,
    from: usize,
    to: usize,
    exchanged: Option<(usize, u32)>,
}

impl Move {
    fn make(&self, counts: &mut [Vec<u32>]) {
        counts[self.from][self.demand] -= 1;
        counts[self.to][self.demand] += 1;
        if let Some((other, n)) = self.exchanged {
            counts[self.to][other] -= n;
            counts[self.from][other] += n;
        }
    }

    fn back(&self, counts: &mut [Vec<u32>]) {
        counts[self.from][self.demand] += 1;
        counts[self.to][self.demand] -= 1;
        if let Some((other, n)) = self.exchanged {
            counts[self.to][other] += n;
            counts[self.from][other] -= n;
        }
    }
}
