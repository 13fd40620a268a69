//! Everything a planning view shows of one chain, worked out in one go.

use serde::Serialize;

use super::backwards::{Backwards, OnScale, scale};
use super::geometry::{RingDrawn, View};
use super::placing::{Building, Placing};
use super::sentence::write;
use super::{ChainPlan, ChainRequest, RingSize};
use crate::drawing::{Drawing, Thumbnail};
use crate::fault::{Fault, Faults};
use crate::figure::Figure;
use crate::making::{Operation, Step};
use crate::ring::RingRequest;
use crate::ring::caution::Caution;
use crate::tool::workshop::Workshop;
use crate::words::sentence::{self, Phrase};
use lorimant_text::text;

/// Everything a planning view shows of one chain.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct ChainSheet {
    /// The request as understood.
    pub request: ChainRequest,
    /// Its sentence.
    pub sentence: Vec<Phrase>,
    /// The sentence as plain text.
    pub text: String,
    /// What is wrong with it; then there is nothing below but the scale.
    pub faults: Vec<Fault>,
    /// Every weave at the ratio of its rings; nothing where its rings cannot be planned.
    pub scale: Vec<OnScale>,
    /// The same looked at backwards; none where its rings cannot be planned.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub backwards: Option<Backwards>,
    /// Whether how its rings lie is still being worked out: ask again in a moment.
    pub working_out: bool,
    /// What follows from it.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub result: Option<ChainWorked>,
}

/// What follows from a chain that can be made.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct ChainWorked {
    /// The plan's numbers.
    pub plan: ChainPlan,
    /// Its figures with their working.
    pub figures: Vec<Figure>,
    /// Its cautions.
    pub cautions: Vec<Caution>,
    /// Twelve rows of it, or all where it has fewer.
    pub rings: Vec<RingDrawn>,
    /// The parts its rings play.
    pub parts: Vec<PartDrawn>,
    /// Colour of the first part's metal, `#rrggbb`.
    pub colour: String,
    /// The ring plans behind it, part by part, each with as many rings as it takes.
    pub ring_plans: Vec<RingRequest>,
    /// The first placings, as many as the start and one repeat take.
    pub placings: Vec<Placing>,
}

/// A part of a weave as it is drawn.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct PartDrawn {
    /// What it is called.
    pub name: String,
    /// How many rings of it the chain has.
    pub rings_n: u32,
    /// Colour of its metal, `#rrggbb`.
    pub colour: String,
    /// Its wire in words.
    pub wire: String,
}

/// Rows that are drawn.
pub const ROWS: u32 = 12;

impl ChainRequest {
    /// Works out everything a planning view shows.
    ///
    /// ```
    /// use lorimant_core::chain::ChainRequest;
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.2, Temper::Soft);
    /// let chain = ChainRequest::new("full-persian-6-in-1", RingRequest::new(wire, Mandrel::round(5.0), 1), 180.0);
    /// let sheet = chain.sheet(&Workshop::default());
    /// // These rings do not go into each other: it says so, and shows where every weave stands.
    /// assert!(sheet.result.is_none() && sheet.faults[0].message.contains("5.05"));
    /// assert!(!sheet.scale.is_empty());
    /// ```
    #[must_use]
    pub fn sheet(&self, workshop: &Workshop) -> ChainSheet {
        let unit = workshop.habits.unit;
        let size = self.sized(workshop).ok().and_then(|all| all.first().map(|one| one.size));
        let phrases = write(self, size, unit);
        let (faults, result) = match self.worked(workshop) {
            Ok(worked) => (vec![], Some(worked)),
            Err(faults) => (faults.0, None),
        };
        ChainSheet {
            request: self.clone(),
            text: sentence::text(&phrases),
            sentence: phrases,
            faults,
            scale: scale(self).unwrap_or_default(),
            backwards: self.backwards(None, workshop).ok(),
            working_out: self.check().is_ok() && !self.is_at_hand(),
            result,
        }
    }

    fn worked(&self, workshop: &Workshop) -> Result<ChainWorked, Faults> {
        let unit = workshop.habits.unit;
        let finished = self.finished(workshop)?;
        let plan = finished.plan;
        let (minutes, _) = finished.rings.made.minutes(plan.rings_to_make_n);
        let rings = self.rings_of(&plan);
        let cautions = finished.rings.plan.cautions(&rings, workshop);
        let laid = self.laid()?;
        let building = Building::of(laid.weave, plan.cells_n, plan.across_n)?;
        let first = building.before_row(3).max(1);
        let wire_mm = self.ring.wire.size_mm;
        Ok(ChainWorked {
            figures: plan.figures(self, minutes, unit),
            cautions,
            rings: laid.rows(plan.cells_n.min(ROWS), plan.across_n.min(ROWS)),
            parts: self.parts(&plan, workshop),
            ring_plans: std::iter::once(rings).chain(self.second_of(&plan)).collect(),
            colour: self.ring.wire.metal.figures().colour.to_owned(),
            placings: (0..first).map_while(|n| building.placing(n, wire_mm, unit)).collect(),
            plan,
        })
    }

    /// What is in hand after each step of its route: its rings until they are cut, then the chain.
    ///
    /// # Errors
    /// As [`ChainRequest::plan`].
    pub fn drawn_after(&self, steps: &[Step], workshop: &Workshop) -> Result<Vec<Drawing>, Faults> {
        let linked = steps.iter().position(|step| step.operation == Operation::Link);
        let rings = self.rings()?;
        let mut drawings = rings.drawn_after(steps, workshop)?;
        let chain = self.laid()?.drawing(
            4,
            3,
            View::Front,
            text!("chain-sheet-from-front", name = self.design()?.name),
        );
        for drawing in drawings.iter_mut().skip(linked.unwrap_or(usize::MAX)) {
            *drawing = chain.clone();
        }
        Ok(drawings)
    }

    /// The parts its rings play, as they are drawn.
    fn parts(&self, plan: &ChainPlan, workshop: &Workshop) -> Vec<PartDrawn> {
        let Ok(design) = self.design() else { return vec![] };
        let part = |(i, name): (usize, &str)| {
            let ring = self.second_ring.as_ref().filter(|_| i == 1).unwrap_or(&self.ring);
            PartDrawn {
                name: name.to_owned(),
                rings_n: plan.parts_n.get(i).copied().unwrap_or(0),
                colour: ring.wire.metal.figures().colour.to_owned(),
                wire: ring.wire.shown(workshop.habits.unit),
            }
        };
        design.parts().into_iter().enumerate().map(part).collect()
    }

    /// A chain as lists show it: two rows from the front.
    ///
    /// # Errors
    /// As [`ChainRequest::plan`].
    pub fn thumbnail(&self, workshop: &Workshop) -> Result<Thumbnail, Faults> {
        let plan = self.plan_in(workshop)?;
        let unit = workshop.habits.unit;
        let described = text!("chain-sheet-from-front", name = self.design()?.name);
        Ok(Thumbnail {
            drawing: self.laid()?.drawing(3, 2, View::Front, described),
            cut: text!(
                "chain-sheet-rings-them-pre-closed",
                rings_n = plan.rings_n,
                shut_before_n = plan.pre_closed_n
            ),
            wire: format!("{} {}", self.ring.wire.metal, self.ring.wire.size_shown(unit)),
            colour: self.ring.wire.metal.figures().colour.to_owned(),
        })
    }

    /// The size of its first part's rings.
    ///
    /// # Errors
    /// The faults of its rings.
    pub fn ring_size(&self) -> Result<RingSize, Faults> {
        Ok(self.sized(&Workshop::default())?[0].size)
    }
}
