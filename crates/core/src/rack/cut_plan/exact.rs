//! Small cases, tried out in full: every way that is not a copy of another and could still be better.

use super::score::Score;
use super::{CutRequest, SLACK_MM};

/// Most ways of placing blanks that are tried out.
const MOST_WAYS: f64 = 300_000.0;

struct Trial<'a> {
    request: &'a CutRequest,
    /// Demands, one entry a blank, longest first.
    blanks: Vec<usize>,
    counts: Vec<Vec<u32>>,
    free: Vec<f64>,
    best: Option<(Score, Vec<Vec<u32>>)>,
}

/// The best counts, where the case is small enough to know.
pub(super) fn solve(request: &CutRequest) -> Option<Vec<Vec<u32>>> {
    let mut blanks: Vec<usize> = vec![];
    for (d, demand) in request.demand.iter().enumerate() {
        if demand.n > 16 {
            return None;
        }
        blanks.extend(std::iter::repeat_n(d, demand.n as usize));
    }
    #[expect(clippy::cast_precision_loss, reason = "a few")]
    let ways = (request.stock.len() as f64 + 1.0).powf(blanks.len() as f64);
    if ways > MOST_WAYS {
        return None;
    }
    blanks.sort_by(|a, b| request.demand[*b].length_mm.total_cmp(&request.demand[*a].length_mm));
    let counts = vec![vec![0; request.demand.len()]; request.stock.len()];
    let free = (0..request.stock.len()).map(|s| request.room(s)).collect();
    let mut trial = Trial { request, blanks, counts, free, best: None };
    trial.place(0, 0);
    trial.best.map(|(_, counts)| counts)
}

impl Trial<'_> {
    /// Places the blank `i` and all after it; equal blanks go to stock in ascending order.
    fn place(&mut self, i: usize, least: usize) {
        let Some(&demand) = self.blanks.get(i) else {
            let score = self.request.score(&self.counts);
            if self.best.as_ref().is_none_or(|(best, _)| score.better_than(best)) {
                self.best = Some((score, self.counts.clone()));
            }
            return;
        };
        let takes = self.request.takes(demand);
        let next_same = self.blanks.get(i + 1) == Some(&demand);
        for s in least..self.free.len() {
            if self.free[s] + SLACK_MM < takes {
                continue;
            }
            self.free[s] -= takes;
            self.counts[s][demand] += 1;
            self.place(i + 1, if next_same { s } else { 0 });
            self.counts[s][demand] -= 1;
            self.free[s] += takes;
        }
        // Left out, and with it all that are like it.
        let mut j = i + 1;
        while self.blanks.get(j) == Some(&demand) {
            j += 1;
        }
        self.place(j, 0);
    }
}
