//! Everything a planning view shows of one request, worked out in one go.

use serde::Serialize;

use super::caution::Caution;
use super::drawn::Moment;
use super::route::FinishedRings;
use super::{RingPlan, RingRequest};
use crate::drawing::{Drawing, Thumbnail};
use crate::fault::{Fault, Faults};
use crate::figure::Figure;
use crate::making::Step;
use crate::tool::coil::Coil;
use crate::tool::cutting::Method;
use crate::tool::mandrel::Mandrel;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::bending::Bending;
use crate::wire::metal::Temper;
use crate::words::length::{LengthUnit, caliper, pull};
use crate::words::scale::of_wire;
use crate::words::sentence::{self, Phrase};
use crate::words::words;
use lorimant_text::text;

words! {
    /// What a stretch of the straight wire becomes.
    pub enum ZoneKind ("zone-kind") {
        /// The ring.
        Ring = "ring";
        /// Lost to the saw.
        Kerf = "kerf";
        /// Trimmed by the second flush cut.
        Sliver = "sliver";
        /// Filed off the ends.
        Filing = "filing";
        /// The next ring.
        Next = "next";
    }
}

/// A stretch of the strip.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Zone {
    /// What it becomes.
    pub kind: ZoneKind,
    /// Start, mm from the left end.
    pub from_mm: f64,
    /// End, mm from the left end.
    pub to_mm: f64,
    /// What it says.
    pub text: String,
}

/// One turn as straight wire, with the running total.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Strip {
    /// Length drawn, mm.
    pub length_mm: f64,
    /// Thickness of the wire, mm.
    pub thickness_mm: f64,
    /// Its zones, left to right.
    pub zones: Vec<Zone>,
    /// The sum: `× 120 = 2.298 m + tails 34 mm + …`.
    pub sum: String,
}

/// A rod placed by the ring it gives.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct PlacedRod {
    /// Its name as the sentence has it.
    pub label: String,
    /// The rod.
    pub mandrel: Mandrel,
    /// Inside of the ring it gives, mm.
    pub ring_inside_diameter_mm: f64,
    /// Whether it is the rod of the plan.
    pub chosen: bool,
}

/// The ring one rod gives.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct CurvePoint {
    /// Rod diameter, mm.
    pub rod_mm: f64,
    /// Ring inside, mm.
    pub ring_mm: f64,
}

/// Ring inside against rod, for one temper.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Curve {
    /// The temper.
    pub temper: Temper,
    /// Its name.
    pub label: String,
    /// Whether it is the plan's.
    pub chosen: bool,
    /// Its points, by growing rod; it ends where the wire springs straight.
    pub points: Vec<CurvePoint>,
}

/// Everything a planning view shows of one request.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Sheet {
    /// The request as understood.
    pub request: RingRequest,
    /// Its sentence.
    pub sentence: Vec<Phrase>,
    /// The sentence as plain text.
    pub text: String,
    /// What is wrong with it; then there is nothing below.
    pub faults: Vec<Fault>,
    /// What follows from it.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub result: Option<Worked>,
}

/// What follows from a request that can be made.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Worked {
    /// The plan's numbers.
    pub plan: RingPlan,
    /// Its figures with their working.
    pub figures: Vec<Figure>,
    /// What was wished for beside what is given, in a sentence.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub wanted: Option<String>,
    /// Its cautions.
    pub cautions: Vec<Caution>,
    /// The coil tight on the rod, and a ring.
    pub wound: Drawing,
    /// The coil let go, and a ring.
    pub released: Drawing,
    /// The route, operation by operation.
    pub steps: Vec<Step>,
    /// What is in hand after each step.
    pub stages: Vec<Drawing>,
    /// One turn straight.
    pub strip: Strip,
    /// The workshop's rods of this outline, placed by the ring each gives, smallest first.
    pub rods: Vec<PlacedRod>,
    /// Ring against rod for the tempers.
    pub curves: Vec<Curve>,
    /// What the wire lies on, tape included: where the plan stands among the curves.
    pub here: CurvePoint,
    /// Colour of the bare metal, `#rrggbb`.
    pub colour: String,
}

/// Rods the plot covers, as shares of the plan's own: near enough for the tempers to stand apart.
const CURVE_SPAN: (f64, f64) = (0.82, 1.18);
/// Points of each curve of the plot.
const CURVE_POINTS: u32 = 24;

impl RingRequest {
    /// Works out everything a planning view shows.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let sheet = RingRequest::new(wire.clone(), Mandrel::round(5.0), 100).sheet(&Workshop::default());
    /// assert!(sheet.faults.is_empty() && sheet.result.is_some());
    /// // What cannot be made keeps its sentence and says why.
    /// let impossible = RingRequest::new(wire, Mandrel::round(0.5), 100).sheet(&Workshop::default());
    /// assert!(impossible.result.is_none() && !impossible.text.is_empty());
    /// ```
    pub fn sheet(&self, workshop: &Workshop) -> Sheet {
        let finished = self.finished(workshop);
        let plan = finished.as_ref().ok().map(|finished| &finished.plan);
        let phrases = super::sentence::write(self, plan, workshop.habits.unit);
        let (faults, result) = match finished {
            Ok(finished) => (vec![], self.worked(finished, workshop)),
            Err(faults) => (faults.0, None),
        };
        Sheet { request: self.clone(), text: sentence::text(&phrases), sentence: phrases, faults, result }
    }

    fn worked(&self, finished: FinishedRings, workshop: &Workshop) -> Option<Worked> {
        let coil = Coil::wind_at(&self.wire, &self.mandrel, &finished.bending).ok()?;
        let unit = workshop.habits.unit;
        let figures = finished.figures(self, workshop);
        let FinishedRings { plan, made, .. } = finished;
        Some(Worked {
            figures,
            wanted: self.wished(&plan, unit),
            cautions: plan.cautions(self, workshop),
            wound: plan.drawn(self, &coil, Moment::Wound, unit),
            released: plan.drawn(self, &coil, Moment::Released, unit),
            stages: plan.stages(self, &coil, &made.steps, unit),
            steps: made.steps,
            strip: plan.strip(self, unit),
            rods: self.placed_rods(workshop),
            curves: self.curves(),
            here: CurvePoint {
                rod_mm: self.mandrel.outline().across(),
                ring_mm: plan.ring_inside_diameter_mm,
            },
            colour: self.wire.metal.figures().colour.to_owned(),
            plan,
        })
    }

    /// What is in hand after each of these steps.
    ///
    /// # Errors
    /// As [`RingRequest::plan`].
    pub(crate) fn drawn_after(&self, steps: &[Step], workshop: &Workshop) -> Result<Vec<Drawing>, Faults> {
        let FinishedRings { plan, bending, .. } = self.finished(workshop)?;
        let coil = Coil::wind_at(&self.wire, &self.mandrel, &bending)?;
        Ok(plan.stages(self, &coil, steps, workshop.habits.unit))
    }

    /// One of the rings as lists show it.
    ///
    /// # Errors
    /// As [`RingRequest::plan`].
    pub fn thumbnail(&self, workshop: &Workshop) -> Result<Thumbnail, Faults> {
        let FinishedRings { plan, bending, .. } = self.finished(workshop)?;
        let unit = workshop.habits.unit;
        let coil = Coil::wind_at(&self.wire, &self.mandrel, &bending)?;
        Ok(Thumbnail {
            drawing: plan.ring_alone(self, &coil, unit),
            cut: plan.to_wind(unit),
            wire: format!("{} {}", self.wire.metal, self.wire.size_shown(unit)),
            colour: self.wire.metal.figures().colour.to_owned(),
        })
    }

    fn placed_rods(&self, workshop: &Workshop) -> Vec<PlacedRod> {
        let target = self.target(1.0);
        let bending = self.bending();
        let thickness = self.wire.profile().thickness_mm();
        let same =
            |rod: &&Mandrel| rod.shape == self.mandrel.shape && rod.outline().short_across() >= thickness;
        let mut placed: Vec<PlacedRod> = workshop
            .rods
            .iter()
            .filter(same)
            .filter_map(|rod| {
                Some(PlacedRod {
                    label: rod.shown_in(workshop.habits.unit),
                    ring_inside_diameter_mm: target.inside_on(&bending, rod.outline())?,
                    chosen: *rod == self.mandrel,
                    mandrel: rod.clone(),
                })
            })
            .collect();
        placed.sort_by(|a, b| a.ring_inside_diameter_mm.total_cmp(&b.ring_inside_diameter_mm));
        placed
    }

    fn curves(&self) -> Vec<Curve> {
        let target = self.target(1.0);
        let here = self.mandrel.outline().across();
        let thickness = self.wire.profile().thickness_mm();
        let (from, to) = (thickness.max(here * CURVE_SPAN.0), here * CURVE_SPAN.1);
        let curve = |temper: &Temper| {
            let bending = Bending::of(&Wire { temper: *temper, ..self.wire.clone() });
            let point = |i: u32| {
                let diameter_mm = from + (to - from) * f64::from(i) / f64::from(CURVE_POINTS);
                let rod = Mandrel { diameter_mm, short_mm: None, tape_layers: 0, ..self.mandrel.clone() };
                let ring = target.inside_on(&bending, rod.outline())?;
                (ring < 4.0 * to).then_some(CurvePoint { rod_mm: diameter_mm, ring_mm: ring })
            };
            Curve {
                temper: *temper,
                label: temper.shown().to_owned(),
                chosen: *temper == self.wire.temper,
                points: (0..=CURVE_POINTS).map_while(point).collect(),
            }
        };
        Temper::ALL.iter().map(curve).collect()
    }
}

impl RingPlan {
    /// The coils to wind, in a few words: `62 turns`, `2 coils of 62 turns`.
    #[must_use]
    pub fn coils_told(&self) -> String {
        let turns = text!("count-turn", n = self.turns_per_coil_n);
        match self.coils_n {
            1 => turns,
            n => text!("ring-sheet-coils", n, turns),
        }
    }

    /// The same with the wire it takes: `wind 62 turns, 1.05 m of wire`.
    #[must_use]
    pub fn to_wind(&self, unit: LengthUnit) -> String {
        text!(
            "ring-sheet-wind-wire",
            coils_told = self.coils_told(),
            coil_wire_mm = pull(self.coil_wire_mm, unit),
            each = self.coils_n > 1
        )
    }

    /// One turn as straight wire, with its losses and the start of the next.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let request = RingRequest::new(wire, Mandrel::round(5.0), 100);
    /// let strip = request.plan().unwrap().strip(&request, LengthUnit::Mm);
    /// // The zones lie end to end.
    /// assert!(strip.zones.windows(2).all(|pair| pair[0].to_mm <= pair[1].from_mm + 1e-9));
    /// ```
    pub fn strip(&self, request: &RingRequest, unit: LengthUnit) -> Strip {
        let taken = request.cutting.taken(request.wire.size_mm);
        let mut zones = vec![Zone {
            kind: ZoneKind::Ring,
            from_mm: 0.0,
            to_mm: self.ring_length_mm,
            text: text!("ring-sheet-ring", ring_length_mm = caliper(self.ring_length_mm, unit)),
        }];
        let lost = taken.from_ring_mm + taken.between_mm;
        let kind = match request.cutting.method {
            Method::Saw => ZoneKind::Kerf,
            Method::DoubleFlush => ZoneKind::Sliver,
            Method::Shears | Method::SingleSnip => ZoneKind::Filing,
        };
        let cut = self.ring_length_mm + lost;
        if lost > 0.0 {
            let text = format!("{} {}", kind.shown(), caliper(lost, unit));
            zones.push(Zone { kind, from_mm: self.ring_length_mm, to_mm: cut, text });
        }
        let length_mm = cut * 1.06;
        zones.push(Zone {
            kind: ZoneKind::Next,
            from_mm: cut,
            to_mm: length_mm,
            text: text!("ring-sheet-next-ring").to_owned(),
        });
        let sum = text!(
            "ring-sheet-tails-uneven-ends-off-spool",
            rings_n = request.rings_n,
            rings_wire_mm = of_wire(self.rings_wire_mm + self.cutting_wire_mm, unit),
            tails_wire_mm = of_wire(self.tails_wire_mm, unit),
            ragged_wire_mm = of_wire(self.ragged_wire_mm, unit),
            wire_length_mm = pull(self.wire_length_mm, unit)
        );
        Strip { length_mm, thickness_mm: request.wire.profile().thickness_mm(), zones, sum }
    }
}
