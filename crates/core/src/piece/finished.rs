//! The finished piece: what its route ends with. Lists, plans, labels and prices all read it.

use std::collections::VecDeque;
use std::sync::{Arc, Mutex, OnceLock, PoisonError};

use super::in_hand::InHand;
use super::route::{Route, Totals};
use super::{Blanks, Piece};
use crate::drawing::Drawing;
use crate::fault::Faults;
use crate::making::Made;
use crate::making::holds::Holds;
use crate::ring::RingPlan;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;

/// A piece as a workshop finishes it, and how it came to be.
#[derive(Debug)]
pub struct FinishedPiece {
    /// What was asked for.
    pub piece: Piece,
    /// The workshop that makes it.
    pub workshop: Arc<Workshop>,
    /// The route that was run: its steps, and the workpiece after each.
    pub made: Made,
    /// Every wire it is cut from, with what is cut of each: its own first.
    pub cut: Vec<(Wire, Blanks)>,
    /// Coils its rings are wound in; 0 of a finding.
    pub coils_n: u32,
    /// What one holds; nothing of what does not bear.
    pub holds: Option<Holds>,
    /// What its route takes and leaves in all.
    pub totals: Totals,
    /// What it is to whoever receives it.
    pub in_hand: InHand,
    drawn: OnceLock<Vec<Drawing>>,
}

/// Finished pieces that were asked for lately, the last one first.
static LATELY: Mutex<VecDeque<Arc<FinishedPiece>>> = Mutex::new(VecDeque::new());
/// How many of them are kept: more than a workshop has orders, batches and bags open.
const KEPT: usize = 512;

impl Piece {
    /// The piece as this workshop finishes it: by its methods, with what the plan changes.
    ///
    /// It is worked out once for a piece and a workshop and kept in memory; another rod, habit or reading of a lot is
    /// another workshop.
    ///
    /// ```
    /// use std::sync::Arc;
    ///
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
    /// let workshop = Workshop::default();
    /// let (first, again) = (hook.finished(&workshop).unwrap(), hook.finished(&workshop).unwrap());
    /// assert!(Arc::ptr_eq(&first, &again));
    /// ```
    ///
    /// # Errors
    /// The faults of the plan, finding or chain; a fault at the method, the change or the step that cannot be.
    pub fn finished(&self, workshop: &Workshop) -> Result<Arc<FinishedPiece>, Faults> {
        if let Some(known) = self.lately(workshop) {
            return Ok(known);
        }
        // Worked out without holding the others up.
        let finished = Arc::new(self.finish(workshop)?);
        let mut lately = LATELY.lock().unwrap_or_else(PoisonError::into_inner);
        lately.push_front(Arc::clone(&finished));
        lately.truncate(KEPT);
        Ok(finished)
    }

    fn lately(&self, workshop: &Workshop) -> Option<Arc<FinishedPiece>> {
        let mut lately = LATELY.lock().unwrap_or_else(PoisonError::into_inner);
        let is_it = |one: &Arc<FinishedPiece>| one.piece == *self && *one.workshop == *workshop;
        let known = lately.iter().position(is_it).and_then(|at| lately.remove(at))?;
        lately.push_front(Arc::clone(&known));
        Some(known)
    }

    fn finish(&self, workshop: &Workshop) -> Result<FinishedPiece, Faults> {
        workshop.methods.check().map_err(|faults| faults.within("methods"))?;
        let n = |plan: &RingPlan| Blanks {
            length_mm: plan.coil_wire_mm,
            flush_mm: plan.coil_wire_mm,
            n: plan.coils_n,
        };
        let (made, cut, coils_n, holds, in_hand) = match self {
            Self::Rings(request) => {
                let finished = request.finished(workshop)?;
                let in_hand = InHand::of_rings(request, &finished);
                let cut = vec![(request.wire.clone(), n(&finished.plan))];
                (finished.made, cut, finished.plan.coils_n, finished.holds, in_hand)
            }
            Self::Finding(request) => {
                let finished = request.finished(workshop)?;
                let (blank, holds) = (finished.blank, finished.holds());
                let blanks =
                    Blanks { length_mm: blank.cut_mm, flush_mm: blank.flush_mm, n: request.blanks_n() };
                let in_hand = InHand::of_finding(request, &finished);
                (finished.made, vec![(request.wire.clone(), blanks)], 0, holds, in_hand)
            }
            Self::Chain(request) => {
                let finished = request.finished(workshop)?;
                let mut cut = vec![(request.ring.wire.clone(), n(&finished.rings.plan))];
                cut.extend(finished.second.iter().map(|(second, plan)| (second.wire.clone(), n(plan))));
                let in_hand = InHand::of_chain(request, &finished);
                let coils_n = finished.rings.plan.coils_n;
                (finished.rings.made, cut, coils_n, Some(finished.holds), in_hand)
            }
        };
        let totals = self.totals(&made, cut[0].1, holds);
        let workshop = match self.same_workshop(workshop) {
            Some(known) => known,
            None => Arc::new(workshop.clone()),
        };
        let drawn = OnceLock::new();
        Ok(FinishedPiece { piece: self.clone(), workshop, made, cut, coils_n, holds, totals, in_hand, drawn })
    }

    /// The workshop of the piece that was finished last, where it is the same: its tools are kept once for all.
    fn same_workshop(&self, workshop: &Workshop) -> Option<Arc<Workshop>> {
        let lately = LATELY.lock().unwrap_or_else(PoisonError::into_inner);
        lately.front().map(|one| Arc::clone(&one.workshop)).filter(|known| **known == *workshop)
    }
}

impl FinishedPiece {
    /// What is cut of its own wire.
    #[must_use]
    pub fn blanks(&self) -> Blanks {
        self.cut[0].1
    }

    /// Its route, with the piece in a sentence.
    #[must_use]
    pub fn route(&self) -> Route {
        Route {
            text: self.piece.sentence(self.workshop.habits.unit),
            operations: self.made.steps.clone(),
            totals: self.totals.clone(),
        }
    }

    /// What is in hand after each step, drawn when it is first asked for.
    #[must_use]
    pub fn drawn(&self) -> &[Drawing] {
        self.drawn.get_or_init(|| {
            let steps = &self.made.steps;
            match &self.piece {
                Piece::Rings(request) => request.drawn_after(steps, &self.workshop).unwrap_or_default(),
                Piece::Chain(request) => request.drawn_after(steps, &self.workshop).unwrap_or_default(),
                Piece::Finding(request) => {
                    let formed = request.form_with(&self.workshop);
                    let stages = formed.map(|formed| formed.stages(steps)).unwrap_or_default();
                    stages.into_iter().map(|stage| stage.drawing).collect()
                }
            }
        })
    }
}
