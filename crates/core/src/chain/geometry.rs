//! Where the rings of a chain lie in the world, for whoever draws them; and a chain drawn flat.

use std::f64::consts::TAU;

use glam::{DMat3, DVec3};
use kurbo::{BezPath, Point};
use serde::Serialize;

use super::ChainRequest;
use super::placing::{At, Building};
use super::pose::Pose;
use super::torus::Torus;
use super::weave::{Weave, name};
use crate::drawing::{Drawing, Role, Sketch};
use crate::fault::Faults;
use crate::words::words;

words! {
    /// What a ring is at a placing.
    pub enum RingRole ("ring-role") {
        /// It is there.
        There = "there";
        /// The new ring goes through it.
        Through = "through";
        /// A shut one that the new ring takes up.
        TakenUp = "taken-up";
        /// The ring put in.
        New = "new";
    }
}

/// A ring of a chain in the world: x along its length, y across, z towards the maker. Millimetres.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct RingDrawn {
    /// Its name in its row: A, B, C.
    pub name: String,
    /// The row it is in, from 1.
    pub row: u32,
    /// Which part of the weave it plays, from 0.
    pub part: usize,
    /// Whether it is shut beforehand.
    pub closed: bool,
    /// Its middle, mm.
    pub center_mm: [f64; 3],
    /// The direction it is turned about, a unit vector.
    pub axis: [f64; 3],
    /// From its middle to the middle of its wire, mm.
    pub radius_mm: f64,
    /// Thickness of its wire, mm.
    pub wire_mm: f64,
    /// What it is at a placing.
    pub role: RingRole,
    /// Of a ring that is being put in: the place of its gap, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub gap_mm: Option<[f64; 3]>,
}

/// Rows drawn before the one in hand.
const ROWS_BEFORE: u32 = 3;
/// Places around a ring that are looked at for its gap.
const GAP_PLACES: u32 = 72;
/// Arcs a ring is drawn in, each at its own depth.
const ARCS: u32 = 28;

/// A chain laid out: its weave taut, and the wire of each part.
pub struct Laid<'a> {
    /// The weave.
    pub weave: &'a Weave,
    /// How a cell of it lies, mm.
    pub pose: Pose,
    /// Thickness of the wire of each part, mm.
    pub wires_mm: Vec<f64>,
}

impl ChainRequest {
    /// Its rings laid out.
    ///
    /// # Errors
    /// As [`ChainRequest::plan`], but for the length.
    pub fn laid(&self) -> Result<Laid<'_>, Faults> {
        let taut = self.taut()?;
        let weave = self.design()?;
        let Some(pose) = taut.pose.clone() else { return Err(self.does_not_fit(weave, &taut).into()) };
        let wires_mm = std::iter::once(&self.ring).chain(&self.second_ring).map(|ring| ring.wire.size_mm);
        Ok(Laid { weave, pose, wires_mm: wires_mm.collect() })
    }
}

impl Laid<'_> {
    fn wire_mm(&self, ring: usize) -> f64 {
        let part = self.weave.part_of(ring);
        self.wires_mm.get(part).or(self.wires_mm.first()).copied().unwrap_or(1.0)
    }

    fn torus(&self, at: At) -> Torus {
        let to = |n: u32| i32::try_from(n).unwrap_or(i32::MAX);
        self.pose.ring(self.weave, at.ring, to(at.cell), to(at.aside))
    }

    fn drawn(&self, at: At, closed: bool, role: RingRole) -> RingDrawn {
        let torus = self.torus(at);
        RingDrawn {
            name: name(at.ring),
            row: at.cell + 1,
            part: self.weave.part_of(at.ring),
            closed,
            center_mm: torus.center.to_array(),
            axis: torus.axis.to_array(),
            radius_mm: torus.radius,
            wire_mm: self.wire_mm(at.ring),
            role,
            gap_mm: None,
        }
    }

    /// So many rows of it, a sheet so many cells across.
    #[must_use]
    pub fn rows(&self, cells_n: u32, across_n: u32) -> Vec<RingDrawn> {
        let Ok(building) = Building::of(self.weave, cells_n.max(1), across_n.max(1)) else { return vec![] };
        let across_n = if self.weave.is_sheet() { across_n.max(1) } else { 1 };
        let cells = (0..cells_n).flat_map(|cell| (0..across_n).map(move |aside| (cell, aside)));
        cells
            .flat_map(|(cell, aside)| (0..self.pose.rings.len()).map(move |ring| At { cell, aside, ring }))
            .map(|at| self.drawn(at, building.is_shut(at), RingRole::There))
            .collect()
    }

    /// What the maker has before them at the `n`th placing, from 0: the last rows as far as they are, the ring that is put
    /// in with its gap, what it goes through and takes up.
    #[must_use]
    pub fn at_placing(&self, building: &Building, n: u32) -> Vec<RingDrawn> {
        let Some(new) = building.nth(n) else { return vec![] };
        let placed = building.placed(new);
        let first = new.cell.saturating_sub(ROWS_BEFORE);
        let mut shown: Vec<RingDrawn> = vec![];
        let mut seen: Vec<At> = vec![];
        let mut put = |at: At, role: RingRole| {
            if !seen.contains(&at) {
                seen.push(at);
                shown.push(self.drawn(at, building.is_shut(at), role));
            }
        };
        put(new, RingRole::New);
        placed.through.iter().for_each(|at| put(*at, RingRole::Through));
        placed.picks_up.iter().for_each(|at| put(*at, RingRole::TakenUp));
        for before in building.open().skip_while(|at| at.cell < first).take_while(|at| *at < new) {
            put(before, RingRole::There);
            building.placed(before).picks_up.iter().for_each(|at| put(*at, RingRole::There));
        }
        if let Some(ring) = shown.first_mut() {
            ring.gap_mm = Some(self.gap(building, new).to_array());
        }
        // Each row is held as the one before was: what turns from row to row is turned back.
        let back = if self.weave.is_sheet() { 0.0 } else { -self.pose.turn * f64::from(new.cell) };
        let back = DMat3::from_rotation_x(back);
        let turned = |at: [f64; 3]| (back * DVec3::from_array(at)).to_array();
        for ring in &mut shown {
            (ring.center_mm, ring.axis) = (turned(ring.center_mm), turned(ring.axis));
            ring.gap_mm = ring.gap_mm.map(turned);
        }
        shown
    }

    /// Where the gap of a ring lies best: farthest from where others go through it, on the maker's side.
    fn gap(&self, building: &Building, at: At) -> DVec3 {
        let ring = self.torus(at);
        let taken: Vec<f64> = building
            .linked_with(at)
            .filter_map(|other| ring.through(&self.torus(other)))
            .map(|point| ring.angle_of(point))
            .collect();
        let free = |angle: f64| {
            let from = taken.iter().map(|other| {
                let off = (angle - other).rem_euclid(TAU);
                off.min(TAU - off)
            });
            let nearest = from.fold(TAU, f64::min).min(1.2);
            // Of places equally free, the one the maker sees.
            nearest + 0.05 * (ring.at(angle).z - ring.center.z) / ring.radius
        };
        let places = (0..GAP_PLACES).map(|i| TAU * f64::from(i) / f64::from(GAP_PLACES));
        let best = places.max_by(|a, b| free(*a).total_cmp(&free(*b))).unwrap_or(0.0);
        ring.at(best)
    }

    /// The same rows drawn flat, seen turned so: wire before wire.
    #[must_use]
    pub fn drawing(&self, cells_n: u32, across_n: u32, seen: View, described: String) -> Drawing {
        self.drawn_flat(&self.rows(cells_n, across_n), seen, described)
    }

    /// These rings drawn flat; one that is being put in has its gap.
    #[must_use]
    pub fn drawn_flat(&self, rings: &[RingDrawn], seen: View, described: String) -> Drawing {
        let turn = seen.turn();
        let mut arcs: Vec<(f64, BezPath, f64)> = vec![];
        for ring in rings {
            let gap = ring.gap_mm.map(|gap| turn * DVec3::from_array(gap));
            let torus = Torus {
                center: turn * DVec3::from_array(ring.center_mm),
                axis: turn * DVec3::from_array(ring.axis),
                radius: ring.radius_mm,
            };
            let step = TAU / f64::from(ARCS);
            for i in 0..ARCS {
                // A little longer than its share, so that no gap shows between two.
                let at = |k: f64| torus.at(step * (f64::from(i) + k));
                if gap.is_some_and(|gap| gap.distance(at(0.5)) < 0.6 * ring.wire_mm) {
                    continue;
                }
                let flat = |point: DVec3| Point::new(point.x, -point.y);
                let mut path = BezPath::new();
                path.move_to(flat(at(-0.04)));
                for k in [0.35, 0.7, 1.04] {
                    path.line_to(flat(at(k)));
                }
                arcs.push((at(0.5).z, path, ring.wire_mm));
            }
        }
        arcs.sort_by(|a, b| a.0.total_cmp(&b.0));
        let mut sketch = Sketch::new();
        for (_, path, wire_mm) in arcs {
            sketch.wire(Role::Wire, &path, wire_mm);
        }
        sketch.finish(described)
    }
}

words! {
    /// From where a chain is seen.
    pub enum View ("geometry-view") {
        /// From the front, its length from left to right.
        Front = "front";
        /// From above.
        Side = "side";
        /// Along its length.
        Along = "along";
    }
}

impl View {
    /// How the world is turned so that it is seen so: x to the right, y up, z towards the eye.
    fn turn(self) -> DMat3 {
        match self {
            Self::Front => DMat3::IDENTITY,
            Self::Side => DMat3::from_rotation_x(TAU / 4.0),
            Self::Along => DMat3::from_rotation_y(TAU / 4.0),
        }
    }
}
