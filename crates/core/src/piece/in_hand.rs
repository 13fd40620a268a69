//! What a piece is in the hand of whoever receives it, however it was made: two that are alike there are the same piece.

use crate::chain::{ChainRequest, FinishedChain};
use crate::making::workpiece::ClosedBy;
use crate::making::{Made, Operation, Workpiece};
use crate::pattern::finished::FinishedFinding;
use crate::pattern::{PatternRequest, Unit};
use crate::ring::{FinishedRings, RingRequest};
use crate::tool::cutting::Method;
use crate::tool::gear::Gear;
use crate::tool::mandrel::Mandrel;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::metal::Metal;
use crate::wire::section::Section;
use crate::wire::surface::Surface;
use crate::words::capital;
use crate::words::length::LengthUnit;

use super::Piece;

/// How far sizes of two pieces may be apart, mm: what a caliper in the hand tells apart.
const SIZE_MM: f64 = 0.1;
/// How far angles and turns may be apart, degrees or turns.
const ANGLE: f64 = 0.5;
/// How far wire sizes may be apart, mm: less than half a gauge number of fine wire.
const WIRE_MM: f64 = 0.02;
/// How far the strain that is left in them may be apart: one temper, a gauge number of drawing.
const STRAIN: f64 = 0.232;

/// A piece as it is received.
#[derive(Debug, Clone, PartialEq)]
pub struct InHand {
    shape: Shape,
    metal: Metal,
    section: Section,
    surface: Surface,
    wire_mm: f64,
    /// Thinnest it is hammered, mm.
    thickness_mm: f64,
    /// Mean strain in it: its temper as it is finished.
    strain: f64,
    joined: Option<ClosedBy>,
    tumbled: bool,
}

#[derive(Debug, Clone, PartialEq)]
enum Shape {
    Ring { sides: Option<u32>, inside_mm: [f64; 2], pinched: bool },
    Finding { kind: &'static str, mirrored: bool, sizes: Vec<(Unit, f64)> },
    Chain { request: Box<ChainRequest>, ring: Box<InHand> },
}

impl Piece {
    /// What it is in the hand, as this workshop makes it. None of what cannot be made there.
    ///
    /// ```
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::FineSilver, 1.0, Temper::Soft);
    /// let rod = |name: &str| Mandrel { name: Some(name.to_owned()), ..Mandrel::round(5.0) };
    /// let rings = |rod: Mandrel| Piece::Rings(RingRequest::new(wire.clone(), rod, 100));
    /// let shop = Workshop::default();
    /// let (drill, dowel) = (rings(rod("drill shank")), rings(rod("steel pin")));
    /// // Whatever the rod is called.
    /// assert!(drill.in_hand(&shop).unwrap().is_like(&dowel.in_hand(&shop).unwrap()));
    /// ```
    #[must_use]
    pub fn in_hand(&self, workshop: &Workshop) -> Option<InHand> {
        // A piece stays what it is when a torch or a hammer is no longer listed.
        let gear = Gear { torch: true, hammer_and_block: true, mallet: true, ..workshop.gear };
        let workshop = &Workshop { gear, ..workshop.clone() };
        Some(self.clone().with_count(1).finished(workshop).ok()?.in_hand.clone())
    }

    /// What was done to it that can be seen or felt and that its sentence does not say: `fused, tumbled`.
    #[must_use]
    pub fn finish_told(&self, workshop: &Workshop) -> String {
        let Some(inside) = self.in_hand(workshop) else { return String::new() };
        let joined = inside.joined.map(|by| by.shown());
        let tumbled = inside.tumbled.then_some("tumbled");
        let of_a_finding = matches!(self, Self::Finding(_));
        let hammered = inside.thickness_mm < self.wire().profile().thickness_mm() - 1e-9;
        let hammered = (hammered && of_a_finding).then_some("hammered");
        [hammered, joined, tumbled].into_iter().flatten().collect::<Vec<_>>().join(", ")
    }
}

impl Piece {
    /// Its sentence with what was done to it besides: `… 5 mm inside. Fused, tumbled.`
    #[must_use]
    pub fn sentence_finished(&self, unit: LengthUnit, workshop: &Workshop) -> String {
        let (sentence, finish) = (self.sentence(unit), self.finish_told(workshop));
        if finish.is_empty() { sentence } else { format!("{sentence} {}.", capital(&finish)) }
    }
}

impl InHand {
    pub(super) fn of_rings(request: &RingRequest, finished: &FinishedRings) -> Self {
        let plan = &finished.plan;
        let shape = Shape::Ring {
            sides: request.mandrel.shape.sides(),
            inside_mm: [plan.ring_inside_diameter_mm, plan.ring_inside_short_mm],
            pinched: request.cutting.method == Method::SingleSnip && !request.cutting.filed,
        };
        Self::of(shape, &request.wire, &finished.made)
    }

    pub(super) fn of_finding(request: &PatternRequest, finished: &FinishedFinding) -> Self {
        let parameters = request.kind.0.parameters.iter();
        let sizes = parameters.map(|parameter| (parameter.unit, request.value(parameter.name))).collect();
        let shape = Shape::Finding { kind: request.kind.0.kind, mirrored: request.mirrored, sizes };
        Self::of(shape, &request.wire, &finished.made)
    }

    pub(super) fn of_chain(request: &ChainRequest, finished: &FinishedChain) -> Self {
        let ring = Self::of_rings(&request.ring, &finished.rings);
        let mut plain = request.clone();
        // Spares, and how its rings are made, are not how it is in the hand.
        (plain.chains_n, plain.spares_n, plain.scrap_share) = (1, 0, 0.0);
        plain.ring = RingRequest::new(plain.ring.wire.clone(), Mandrel::round(1.0), 1);
        plain.ring.wire.lot = None;
        Self { shape: Shape::Chain { request: Box::new(plain), ring: Box::new(ring.clone()) }, ..ring }
    }

    fn of(shape: Shape, wire: &Wire, made: &Made) -> Self {
        let nothing = Workpiece::of(wire, 0.0);
        let last: &Workpiece = made.finished().unwrap_or(&nothing);
        let length: f64 = last.stretches.iter().map(|s| s.to_mm - s.from_mm).sum();
        let strained: f64 = last.stretches.iter().map(|s| (s.to_mm - s.from_mm) * s.strain).sum();
        Self {
            shape,
            metal: wire.metal,
            section: wire.section,
            surface: wire.surface,
            wire_mm: wire.size_mm,
            thickness_mm: last.stretches.iter().map(|s| s.thickness_mm).fold(f64::INFINITY, f64::min),
            strain: if length > 0.0 { strained / length } else { 0.0 },
            joined: last.joined,
            tumbled: made.steps.iter().any(|step| step.operation == Operation::Tumble),
        }
    }

    /// Whether whoever receives one would take the other for it: the same shape, sizes, wire and temper within what hands
    /// and a caliper tell apart, joined and finished alike.
    #[must_use]
    pub fn is_like(&self, other: &Self) -> bool {
        let near = |a: f64, b: f64, within: f64| (a - b).abs() <= within + 1e-9;
        self.shape.is_like(&other.shape)
            && (self.metal, self.section, self.surface) == (other.metal, other.section, other.surface)
            && near(self.wire_mm, other.wire_mm, WIRE_MM)
            && near(self.thickness_mm, other.thickness_mm, WIRE_MM.max(SIZE_MM / 2.0))
            && near(self.strain, other.strain, STRAIN)
            && (self.joined, self.tumbled) == (other.joined, other.tumbled)
    }
}

impl Shape {
    fn is_like(&self, other: &Self) -> bool {
        match (self, other) {
            (
                Self::Ring { sides, inside_mm, pinched },
                Self::Ring { sides: others, inside_mm: others_mm, pinched: other_pinched },
            ) => {
                (sides, pinched) == (others, other_pinched)
                    && inside_mm.iter().zip(others_mm).all(|(a, b)| (a - b).abs() <= SIZE_MM / 2.0 + 1e-9)
            }
            (
                Self::Finding { kind, mirrored, sizes },
                Self::Finding { kind: other_kind, mirrored: others, sizes: others_sizes },
            ) => {
                let alike = |((unit, a), (_, b)): (&(Unit, f64), &(Unit, f64))| {
                    let within = match unit {
                        Unit::Mm => SIZE_MM / 2.0,
                        Unit::Deg => ANGLE,
                        Unit::Turns | Unit::Choice => 0.01,
                    };
                    (a - b).abs() <= within + 1e-9
                };
                (kind, mirrored) == (other_kind, others) && sizes.iter().zip(others_sizes).all(alike)
            }
            (Self::Chain { request, ring }, Self::Chain { request: other, ring: other_ring }) => {
                request == other && ring.is_like(other_ring)
            }
            _ => false,
        }
    }
}
