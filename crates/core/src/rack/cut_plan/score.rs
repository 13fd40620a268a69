//! How good a plan is: what is short, what is taken off whole stock, what of the rests is not used.

use super::{CutRequest, SLACK_MM, Stock};
use crate::rack::stock::StockKind;

/// Short, off whole stock, unused of rests (mm each), and the number of rests left.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
pub(super) struct Score(pub [f64; 4]);

impl Score {
    pub(super) fn better_than(&self, other: &Self) -> bool {
        for (a, b) in self.0.iter().zip(&other.0) {
            if (a - b).abs() > SLACK_MM {
                return a < b;
            }
        }
        false
    }
}

impl CutRequest {
    /// What is lost of a piece of stock that is cut so, and what is left of it to use, mm.
    pub(super) fn left(&self, stock: usize, counts: &[u32]) -> (f64, f64) {
        let n: u32 = counts.iter().sum();
        if n == 0 {
            return (0.0, 0.0);
        }
        let blanks: f64 = counts.iter().zip(&self.demand).map(|(n, d)| f64::from(*n) * d.length_mm).sum();
        let kerfs = f64::from(n) * self.kerf_mm;
        let length = self.stock[stock].length_mm;
        let rest = (length - self.trim_mm - kerfs - blanks).max(0.0);
        if rest >= self.shortest_useful_mm && rest > SLACK_MM {
            (length - blanks - rest, rest)
        } else {
            (length - blanks, 0.0)
        }
    }

    /// How good a plan is: less is better, the first difference counts.
    pub(super) fn score(&self, counts: &[Vec<u32>]) -> Score {
        let mut score = Score::default();
        for (d, demand) in self.demand.iter().enumerate() {
            let made: u32 = counts.iter().map(|counts| counts[d]).sum();
            score.0[0] += f64::from(demand.n - made) * demand.length_mm;
        }
        for (s, counts) in counts.iter().enumerate() {
            for (sum, part) in score.0.iter_mut().zip(self.score_of(s, counts).0) {
                *sum += part;
            }
        }
        score
    }

    /// What one piece of stock adds to the score of a plan.
    pub(super) fn score_of(&self, stock: usize, counts: &[u32]) -> Score {
        let n: u32 = counts.iter().sum();
        if n == 0 {
            return Score::default();
        }
        let (scrap, rest) = self.left(stock, counts);
        let one_more = f64::from(u8::from(rest > 0.0));
        let Stock { kind, length_mm, .. } = &self.stock[stock];
        if *kind == StockKind::Offcut {
            // Its trim and kerfs are the price of using it at all.
            let unused = scrap - self.trim_mm.min(*length_mm) - f64::from(n) * self.kerf_mm;
            Score([0.0, 0.0, unused, one_more])
        } else {
            Score([0.0, length_mm - rest, 0.0, one_more])
        }
    }

    /// Whether nothing can be better than this score: everything made without whole stock, all of each rest used.
    pub(super) fn cannot_be_beaten(&self, score: &Score) -> bool {
        score.0.iter().all(|part| *part <= SLACK_MM)
    }
}
