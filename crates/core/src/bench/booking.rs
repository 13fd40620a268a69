//! What goes with a press at the bench: wire off a lot, scrapped pieces onto the scrap.

use super::{Batch, BatchProgress, Event, EventKind, Task};
use crate::piece::Piece;
use crate::rack::stock::booking::{BlanksCut, LotCut};
use crate::rack::stock::scrap::ScrapChange;
use lorimant_text::text;

/// Scrap is kept in milligrams: less is not booked.
const LEAST_SCRAP_G: f64 = 0.001;

/// What is booked with a press.
#[derive(Debug, Clone, PartialEq)]
pub enum Books {
    /// Wire is cut off a lot.
    Cut(LotCut),
    /// Scrapped pieces go to the scrap of their metal.
    Scrap(ScrapChange),
}

impl Batch {
    /// What is booked with something that happens at a task: its wire, where it is cut off a lot there; pieces that are
    /// scrapped, with the wire of those that were not cut off yet: that leaves its lot too, and all of it is scrap. Nothing
    /// else is.
    #[must_use]
    pub fn books(&self, task: &Task, event: &Event, lot: Option<i64>) -> Vec<Books> {
        let cut = |length_mm: f64| {
            let cuts = vec![BlanksCut { what: self.name.clone(), length_mm, n: event.n }];
            lot.map(|lot| {
                Books::Cut(LotCut { lot, cuts, trim_mm: 0.0, kerf_mm: 0.0, shortest_useful_mm: 0.0 })
            })
        };
        match event.kind {
            EventKind::Done => task.off_the_spool_mm.and_then(cut).into_iter().collect(),
            EventKind::Scrapped => {
                let one_g = task.wasted_mm.map_or(task.one_g, |mm| self.piece.wire().mass_g(mm));
                let mass_g = one_g * f64::from(event.n);
                let note = text!("booking-scrapped-at", name = self.name, named = task.step.named);
                let scrap = (mass_g >= LEAST_SCRAP_G).then(|| {
                    Books::Scrap(ScrapChange {
                        metal: self.piece.wire().metal,
                        cleanliness: task.scrap,
                        mass_g,
                        note: note.chars().take(200).collect(),
                    })
                });
                task.wasted_mm.and_then(cut).into_iter().chain(scrap).collect()
            }
            _ => vec![],
        }
    }

    /// What came of it: the recipe as it was made, so many of it as are whole, at least one.
    ///
    /// ```
    /// use lorimant_core::bench::Batch;
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// // Ear wires are counted in pairs: of six pairs twelve are made, and six pairs come of it.
    /// let wires = Piece::Finding(PatternRequest::usual("open-ear-wire".parse().unwrap()));
    /// let batch = Batch::of("ear wires", wires, 6);
    /// let tasks = batch.tasks(&Workshop::default()).unwrap();
    /// let progress = batch.progress(&tasks, &[]);
    /// assert_eq!((progress.whole_n, batch.made(&progress).count()), (12, 6));
    /// ```
    #[must_use]
    pub fn made(&self, progress: &BatchProgress) -> Piece {
        self.piece.clone().with_count(self.whole(progress).0.max(1))
    }

    /// How many of it are whole as they are counted, rings, pieces or pairs, and how many single ones are left over.
    #[must_use]
    pub fn whole(&self, progress: &BatchProgress) -> (u32, u32) {
        if let Piece::Chain(request) = &self.piece {
            // Spares and what was expected to be scrapped make no chain more.
            let each_n = request.plan().map_or(1, |plan| plan.rings_n - plan.second_n()).max(1);
            let chains_n = (progress.whole_n / each_n).min(request.chains_n);
            return (chains_n, progress.whole_n - chains_n * each_n);
        }
        let each_n = (self.pieces_n() / self.piece.count().max(1)).max(1);
        (progress.whole_n / each_n, progress.whole_n % each_n)
    }
}

/// Puts lots in the order they are offered in for so much wire: the shortest that all of it comes off; where none holds
/// it all, the longest first.
///
/// ```
/// use lorimant_core::bench::in_order;
///
/// let mut lots = vec![900.0, 3000.0, 200.0, 5000.0];
/// in_order(&mut lots, 1000.0, |left_mm| *left_mm);
/// assert_eq!(lots, [3000.0, 5000.0, 900.0, 200.0]);
/// ```
pub fn in_order<T>(lots: &mut [T], needed_mm: f64, left_mm: impl Fn(&T) -> f64) {
    lots.sort_by(|a, b| {
        let (a_mm, b_mm) = (left_mm(a), left_mm(b));
        let (a_short, b_short) = (a_mm < needed_mm, b_mm < needed_mm);
        let by_length = if a_short { b_mm.total_cmp(&a_mm) } else { a_mm.total_cmp(&b_mm) };
        a_short.cmp(&b_short).then(by_length)
    });
}
