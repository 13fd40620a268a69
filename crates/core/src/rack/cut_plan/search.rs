//! Larger cases: pieces of stock filled one after another in many orders, the best kept.

use super::fill::{Item, Leave, fill};
use super::score::Score;
use super::{CutRequest, Found, Progress, SLACK_MM, StockKind};

/// Orders tried at the most.
const MOST_ORDERS: usize = 24;

/// The best plan found while `go_on` says so, at least the first.
pub(super) fn solve(request: &CutRequest, go_on: &dyn Fn(Progress) -> bool) -> Found {
    let leaves = [Leave::Least, Leave::NothingOr(request.shortest_useful_mm)];
    let mut best: Option<(Score, Vec<Vec<u32>>)> = None;
    'orders: for (i, order) in orders(request).enumerate() {
        for (k, leave) in leaves.into_iter().enumerate() {
            if let Some((Score([short_mm, ..]), counts)) = &best {
                let scrap_mm = counts.iter().enumerate().map(|(s, counts)| request.left(s, counts).0).sum();
                let short_mm = *short_mm;
                let of_n = leaves.len() * MOST_ORDERS;
                if !go_on(Progress { tried_n: leaves.len() * i + k, of_n, scrap_mm, short_mm }) {
                    break 'orders;
                }
            }
            let counts = filled(request, &order, leave);
            let score = request.score(&counts);
            if best.as_ref().is_none_or(|(best, _)| score.better_than(best)) {
                best = Some((score, counts));
            }
        }
        if best.as_ref().is_some_and(|(score, _)| request.cannot_be_beaten(score)) {
            break;
        }
    }
    let nothing = || (Score::default(), vec![vec![0; request.demand.len()]; request.stock.len()]);
    let (score, counts) = best.unwrap_or_else(nothing);
    Found { optimal: request.cannot_be_beaten(&score), counts }
}

/// Fills the stock in this order until nothing is wanted any more.
fn filled(request: &CutRequest, order: &[usize], leave: Leave) -> Vec<Vec<u32>> {
    let mut counts = vec![vec![0; request.demand.len()]; request.stock.len()];
    let mut items: Vec<Item> = request
        .demand
        .iter()
        .enumerate()
        .map(|(d, demand)| Item { takes_mm: request.takes(d), n: demand.n })
        .collect();
    for s in order {
        let wanted: f64 = items.iter().map(|item| f64::from(item.n) * item.takes_mm).sum();
        if wanted <= SLACK_MM {
            break;
        }
        let room = request.room(*s);
        if room <= 0.0 {
            continue;
        }
        // What is left of the demand fits as it is: nothing to choose.
        let chosen = if wanted <= room + SLACK_MM {
            items.iter().map(|item| item.n).collect()
        } else {
            fill(room, &items, leave)
        };
        for (item, n) in items.iter_mut().zip(&chosen) {
            item.n -= n;
        }
        counts[*s] = chosen;
    }
    counts
}

/// Orders worth trying: rests first, long or short first, and mixtures of these.
fn orders(request: &CutRequest) -> impl Iterator<Item = Vec<usize>> {
    let all: Vec<usize> = (0..request.stock.len()).collect();
    let sorted = |key: &dyn Fn(usize) -> (bool, f64)| {
        let mut order = all.clone();
        order.sort_by(|a, b| key(*a).partial_cmp(&key(*b)).unwrap_or(std::cmp::Ordering::Equal));
        order
    };
    let length = |s: usize| request.stock[s].length_mm;
    let whole = |s: usize| request.stock[s].kind != StockKind::Offcut;
    let firsts = vec![
        sorted(&|s| (whole(s), -length(s))),
        sorted(&|s| (whole(s), length(s))),
        sorted(&|s| (false, -length(s))),
        sorted(&|s| (false, length(s))),
    ];
    // Then the first of them with a few pieces brought forward, the same each time it is asked.
    let base = firsts[0].clone();
    let mixed = (1..).map(move |round: usize| {
        let mut order = base.clone();
        let n = order.len();
        for k in 0..(1 + round % 3) {
            if n > 1 {
                let from = (round * 7919 + k * 104_729) % n;
                let moved = order.remove(from);
                order.insert((round * 31 + k) % (from + 1), moved);
            }
        }
        order
    });
    firsts.into_iter().chain(mixed).take(MOST_ORDERS)
}
