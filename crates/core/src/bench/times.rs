//! What steps really took: the workshop's own pace, learned from presses at the bench.

use std::collections::BTreeMap;

use serde::Serialize;

use super::{BatchProgress, Task, TaskProgress};
use crate::making::Operation;

/// Fewer pieces than this say little about a pace.
const LEAST_PIECES: u32 = 4;
/// Nobody is more than so many times quicker or slower than the route reckons.
const MOST_PACE: f64 = 4.0;

/// How quick the workshop is at one operation, against what the route reckons.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Pace {
    /// The operation.
    pub operation: Operation,
    /// What it is called.
    pub operation_label: &'static str,
    /// Minutes it took over those that were reckoned: the median of the batches.
    pub share: f64,
    /// The least and the most of them.
    pub from_to: (f64, f64),
    /// How many batches say so.
    pub batches_n: u32,
}

/// The workshop's own pace, operation by operation.
#[derive(Debug, Clone, PartialEq, Default)]
pub struct Times(BTreeMap<Operation, Pace>);

impl Times {
    /// Learns from batches: of each step with at least four pieces that were timed, what they took over what was reckoned
    /// for as many.
    #[must_use]
    pub fn of<'a>(batches: impl IntoIterator<Item = (&'a [Task], &'a BatchProgress)>) -> Self {
        let mut shares: BTreeMap<Operation, Vec<f64>> = BTreeMap::new();
        for (tasks, progress) in batches {
            for (task, there) in tasks.iter().zip(&progress.tasks) {
                if let Some(share) = share(task, there) {
                    shares.entry(task.step.operation).or_default().push(share);
                }
            }
        }
        let paces = shares.into_iter().map(|(operation, mut shares)| {
            shares.sort_by(f64::total_cmp);
            let middle = shares.len() / 2;
            let median = if shares.len() % 2 == 1 {
                shares[middle]
            } else {
                f64::midpoint(shares[middle - 1], shares[middle])
            };
            let from_to = (shares[0], shares[shares.len() - 1]);
            let batches_n = u32::try_from(shares.len()).unwrap_or(u32::MAX);
            let operation_label = operation.shown();
            (operation, Pace { operation, operation_label, share: median, from_to, batches_n })
        });
        Self(paces.collect())
    }

    /// By how much minutes that are reckoned for an operation are to be multiplied; 1 where nothing was learned.
    #[must_use]
    pub fn share(&self, operation: Operation) -> f64 {
        self.0.get(&operation).map_or(1.0, |pace| pace.share)
    }

    /// All that was learned.
    #[must_use]
    pub fn paces(&self) -> Vec<Pace> {
        self.0.values().copied().collect()
    }
}

/// What a step took over what was reckoned; nothing where too few pieces were timed.
fn share(task: &Task, there: &TaskProgress) -> Option<f64> {
    let reckoned_min = task.each_min() * f64::from(there.timed_n);
    (there.timed_n >= LEAST_PIECES && reckoned_min > 0.0)
        .then(|| (there.took_min / reckoned_min).clamp(1.0 / MOST_PACE, MOST_PACE))
}
