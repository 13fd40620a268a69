//! Keeping the two blanks of a pair on one piece of stock: wire of one lot springs alike, so the pair matches.

use super::{CutRequest, SLACK_MM};

/// Most blanks, or pairs, that are given in exchange for one.
const MOST_EXCHANGED: u32 = 4;
/// Most pieces of stock with half a pair that are tried against each other, for each demand.
const MOST_TRIED: usize = 60;

impl CutRequest {
    /// Exchanges blanks between pieces of stock until as few pairs as can be are cut from two. Nothing is made less for
    /// it and nothing more taken off whole stock; what is left of the rests may shift.
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

    /// Makes one pair whole; says whether it could.
    fn bring_together(&self, counts: &mut [Vec<u32>], demand: usize) -> bool {
        let halves: Vec<usize> =
            (0..counts.len()).filter(|s| counts[*s][demand] % 2 == 1).take(MOST_TRIED).collect();
        for from in &halves {
            for to in halves.iter().filter(|to| *to != from) {
                if self.move_over(counts, demand, *from, *to) {
                    return true;
                }
            }
        }
        false
    }

    /// Moves one blank from a piece of stock to another, in exchange for others of it where it has no room.
    fn move_over(&self, counts: &mut [Vec<u32>], demand: usize, from: usize, to: usize) -> bool {
        let before = self.score(counts);
        let free = |counts: &[Vec<u32>], s: usize| {
            let taken: f64 = counts[s].iter().enumerate().map(|(d, n)| f64::from(*n) * self.takes(d)).sum();
            self.room(s) - taken
        };
        let attempt = |counts: &mut [Vec<u32>], exchanged: Option<(usize, u32)>| {
            counts[from][demand] -= 1;
            counts[to][demand] += 1;
            if let Some((other, n)) = exchanged {
                counts[to][other] -= n;
                counts[from][other] += n;
            }
            let fits = free(counts, from) >= -SLACK_MM && free(counts, to) >= -SLACK_MM;
            let after = self.score(counts);
            let dearer = (0..2).any(|part| after.0[part] > before.0[part] + SLACK_MM);
            if fits && !dearer {
                return true;
            }
            counts[from][demand] += 1;
            counts[to][demand] -= 1;
            if let Some((other, n)) = exchanged {
                counts[to][other] += n;
                counts[from][other] -= n;
            }
            false
        };
        if attempt(counts, None) {
            return true;
        }
        // Others go in pairs where they are pairs, so that mending one splits none.
        let there = counts[to].clone();
        (0..self.demand.len()).filter(|other| *other != demand).any(|other| {
            let step: u32 = if self.demand[other].pair { 2 } else { 1 };
            let steps = (there[other] / step).min(MOST_EXCHANGED);
            (1..=steps).any(|n| attempt(counts, Some((other, n * step))))
        })
    }
}
