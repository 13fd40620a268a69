//! What is still to be made for orders, and what of it is still to be cut.

use super::cover::alike;
use super::{LineProgress, Order};
use crate::bench::Batch;
use crate::bench::schedule::agenda::{JobOf, Unmet, Wanted};
use crate::rack::cut_plan::picked::Picked;
use crate::tool::workshop::Workshop;
use lorimant_text::text;

/// An order with how its lines are covered.
#[derive(Debug, Clone, Copy)]
pub struct Covered<'a> {
    /// Its number.
    pub id: i64,
    /// The order.
    pub order: &'a Order,
    /// Its lines.
    pub lines: &'a [LineProgress],
}

/// The orders with a line that a batch covers.
#[must_use]
pub fn orders_of<'a, 'b>(
    batch: &Batch,
    orders: &'a [Covered<'b>],
    workshop: &Workshop,
) -> Vec<&'a Covered<'b>> {
    let made = batch.in_hand(workshop);
    let covers = |of: &&Covered| {
        let mut lines = of.order.lines.iter().zip(of.lines);
        lines.any(|(line, at)| {
            at.under_way_n > 0 && alike(made.as_ref(), line.piece.in_hand(workshop).as_ref())
        })
    };
    orders.iter().filter(covers).collect()
}

/// Lines of which something is still to be begun, as the planner takes them, spares included; and those that cannot be made
/// as the workshop is now, each with the reason.
#[must_use]
pub fn to_begin(orders: &[Covered], workshop: &Workshop) -> (Vec<Wanted>, Vec<Unmet>) {
    let (mut wanted, mut cannot) = (vec![], vec![]);
    for of in orders {
        for (i, (line, at)) in of.order.lines.iter().zip(of.lines).enumerate() {
            if at.to_make_n == 0 {
                continue;
            }
            let job = JobOf::Line { order: of.id, line: i };
            let batch = Batch::of(&line.name, line.piece.clone().known(workshop), at.to_make_n);
            match batch.tasks(workshop) {
                Ok(tasks) => {
                    let progress = batch.progress(&tasks, &[]);
                    let (due, orders) = (of.order.due, vec![of.id]);
                    wanted.push(Wanted { of: job, batch, tasks, progress, due, orders });
                }
                Err(faults) => {
                    let text = text!("to-make-cannot-be-made-with-workshop", name = line.name, faults);
                    cannot.push(Unmet { of: job, orders: vec![of.id], text });
                }
            }
        }
    }
    (wanted, cannot)
}

impl Wanted {
    /// What of it is still to be cut, under a name that nothing picked has; nothing where all of it is.
    #[must_use]
    pub fn to_cut(&self) -> Option<Picked> {
        let whose = match self.of {
            JobOf::Batch(id) => text!("to-make-batch", id),
            JobOf::Line { order, .. } => text!("to-make-order", order),
        };
        let at = self.tasks.iter().position(|task| task.off_the_spool_mm.is_some())?;
        let (task, there) = (self.tasks.get(at)?, self.progress.tasks.get(at)?);
        // Two blanks are one of what is counted in pairs, and half a pair is rounded up.
        let left = u64::from(there.left_n) * u64::from(self.batch.piece.count());
        let n = u32::try_from(left.div_ceil(u64::from(task.n.max(1)))).unwrap_or(u32::MAX);
        let piece = self.batch.piece.clone().with_count(n);
        (n > 0).then(|| Picked { what: format!("{} · {whose}", self.batch.name), piece })
    }
}
