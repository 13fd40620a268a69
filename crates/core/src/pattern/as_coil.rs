//! Many rings alike are not bent one by one: they are wound as a coil and cut.

use super::PatternRequest;
use super::form::FormedPiece;
use crate::ring::RingRequest;
use crate::shape::Course;
use crate::tool::coil::{Coil, outline_for};
use crate::tool::mandrel::{Mandrel, Shape};
use crate::tool::outline::Outline;
use crate::tool::workshop::Workshop;

/// How far an owned rod may leave a ring from what is drawn and still be taken, mm.
const NEAR_MM: f64 = 0.1;

impl PatternRequest {
    /// The ring plan that winds as many of it as are asked for: on the rod that leaves its shape, an owned one where one comes
    /// within a tenth of a millimetre. None for what is no ring.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let coil = |kind: &str| PatternRequest::usual(kind.parse().unwrap()).as_coil(&Workshop::default());
    /// // The smallest ring is wound on a length of its own wire.
    /// let ring = coil("smallest-ring").unwrap();
    /// assert!((ring.mandrel.diameter_mm - ring.wire.size_mm).abs() < 1e-12);
    /// assert!(coil("oval-ring").is_some() && coil("hook-clasp").is_none());
    /// ```
    #[must_use]
    pub fn as_coil(&self, workshop: &Workshop) -> Option<RingRequest> {
        let formed = self.form_on(workshop).ok()?;
        let mandrel = formed.on_its_own_wire().or_else(|| formed.ring_rod(workshop))?;
        let rings = RingRequest {
            route: self.route.clone(),
            ..RingRequest::new(self.wire.clone(), mandrel, self.pieces_n)
        };
        // What its route as a single ring has and a coil's has not is not carried over.
        let plain = RingRequest::new(self.wire.clone(), rings.mandrel.clone(), self.pieces_n);
        Some(if rings.finished(workshop).is_ok() { rings } else { plain })
    }
}

impl FormedPiece<'_> {
    /// A length of its own wire, where one turn of it is wound on nothing else.
    fn on_its_own_wire(&self) -> Option<Mandrel> {
        let own_mm = self.design.profile.thickness_mm();
        let [segment] = self.design.segments.as_slice() else { return None };
        let Course::Wrap { core_mm, turns, .. } = segment.course else { return None };
        (turns <= 1.0 && (core_mm - own_mm).abs() < 1e-9).then(|| Mandrel::round(own_mm))
    }

    /// The rod that a coil of such rings is wound on.
    fn ring_rod(&self, workshop: &Workshop) -> Option<Mandrel> {
        let (wanted, shape) = self.ring_inside()?;
        // What cutting takes out of each turn closes the ring by as much.
        let wire = &self.request.wire;
        let taken =
            RingRequest::new(wire.clone(), Mandrel::round(1.0), 1).cutting.taken(wire.size_mm).from_ring_mm;
        let left = |rod: &Mandrel| Coil::wind_with(&self.bending, rod.outline())?.closed(taken);
        let off = |left: Outline| {
            let across = (left.across() - wanted.across()).abs();
            across.max((left.short_across() - wanted.short_across()).abs())
        };
        let own = workshop.rods.iter().filter(|rod| rod.shape == shape);
        let own = own.filter_map(|rod| Some((rod, off(left(rod)?)))).filter(|(_, off)| *off <= NEAR_MM);
        if let Some((rod, _)) = own.min_by(|a, b| a.1.total_cmp(&b.1)) {
            return Some(rod.clone());
        }
        let before = scaled(wanted, 1.0 + taken / wanted.perimeter());
        let ideal = outline_for(&self.bending, before)?;
        let mut rod = Mandrel { shape, ..Mandrel::round(ideal.across()) };
        match ideal {
            Outline::Oval { short, .. } => rod.short_mm = Some(short),
            Outline::Flats { corner, .. } => rod.corner_mm = Some(corner),
            Outline::Round { .. } => {}
        }
        Some(rod)
    }

    /// Inside of a single ring, and the shape of rod it is wound on.
    fn ring_inside(&self) -> Option<(Outline, Shape)> {
        let value = |name: &str| self.request.kind.0.parameter(name).map(|_| self.request.value(name));
        match self.design.segments.as_slice() {
            [one] => match one.course {
                Course::Oval { long_mm, short_mm } => {
                    Some((Outline::Oval { long: long_mm, short: short_mm }, Shape::Oval))
                }
                Course::Bend { inside_mm, angle_deg, .. } if (angle_deg.abs() - 360.0).abs() < 1e-6 => {
                    Some((Outline::Round { diameter: inside_mm }, Shape::Round))
                }
                _ => None,
            },
            _ => {
                let (across, corner) = (value("across_mm")?, value("corner_mm")?);
                let (sides, shape) = match value("sides")? {
                    sides if sides < 0.5 => (4, Shape::Square),
                    sides if sides < 1.5 => (6, Shape::Hexagon),
                    _ => (8, Shape::Octagon),
                };
                Some((Outline::Flats { sides, across, corner }, shape))
            }
        }
    }
}

/// An outline so many times as large; corners stay as they are.
fn scaled(outline: Outline, k: f64) -> Outline {
    match outline {
        Outline::Round { diameter } => Outline::Round { diameter: k * diameter },
        Outline::Oval { long, short } => Outline::Oval { long: k * long, short: k * short },
        Outline::Flats { sides, across, corner } => Outline::Flats { sides, across: k * across, corner },
    }
}
