//! From the ring wanted in the hand to the rod that gives it.

use serde::{Deserialize, Serialize};

use super::{Ends, RingPlan, RingRequest, Winding, Wish};
use crate::fault::{Fault, Faults, Span};
use crate::making::Changes;
use crate::shape::hammered as hammer;
use crate::tool::coil::{Coil, outline_for};
use crate::tool::cutting::Cutting;
use crate::tool::mandrel::{Mandrel, Shape};
use crate::tool::outline::Outline;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::bending::Bending;
use crate::words::length::both;
use lorimant_text::{Text, text};

/// Most rods offered for a ring; the rest are further off than these.
pub const MOST_CANDIDATES: usize = 24;
/// How much less a layer of tape beyond the first is worth, hundredths of a millimetre.
const TAPE_WRINKLES: f64 = 10.0;
/// Layers of tape offered on a rod.
pub const MOST_TAPE_LAYERS: u32 = 3;

/// No hand and no wire spreads rings further than this, mm and as a share of the ring: rods further off are not asked.
const FARTHEST_MM: f64 = 0.3;
const FARTHEST_SHARE: f64 = 0.15;

/// A ring wanted in the hand, whatever the rod.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct RingTarget {
    /// The wire.
    pub wire: Wire,
    /// Inside of the ring after letting go, cutting and closing, mm: 0.1 to 300.
    pub target_inside_diameter_mm: f64,
    /// Short way across inside an oval ring; two thirds of the long one if left out. Only for ovals.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub target_inside_short_mm: Option<f64>,
    /// Outline wanted; round if left out.
    #[serde(default = "round")]
    pub shape: Shape,
    /// How many rings; 100 if left out.
    #[serde(default = "super::hundred")]
    pub rings_n: u32,
    /// How it is wound; by hand if left out.
    #[serde(default = "super::by_hand")]
    pub winding: Winding,
    /// How the coil is cut; sawn with a suited blade if left out.
    #[serde(default)]
    pub cutting: Cutting,
    /// What is lost at the ends of each coil.
    #[serde(default)]
    pub ends: Ends,
    /// How often the wire is pulled straight before it is wound.
    #[serde(default)]
    pub pulls_n: u32,
    /// Thickness each ring is hammered to, mm; left as wound if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub hammered_mm: Option<f64>,
    /// What is changed about the route.
    #[serde(default, skip_serializing_if = "Changes::is_empty")]
    pub route: Changes,
    /// The rods to choose from; the workshop's own if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub rods: Option<Vec<Mandrel>>,
}

fn round() -> Shape {
    Shape::Round
}

/// A rod that could be taken, and the ring it really gives.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Candidate {
    /// The rod, with its layers of tape.
    pub mandrel: Mandrel,
    /// Its name as the sentence has it.
    pub label: String,
    /// Inside of the ring it gives, mm.
    pub ring_inside_diameter_mm: f64,
    /// How much larger (+) or smaller (−) than wanted, mm.
    pub off_mm: f64,
}

/// The ideal rod for a ring, and the rods there are, nearest result first.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct RodChoice {
    /// Diameter of the rod that gives exactly the ring wanted, mm.
    pub mandrel_diameter_mm: f64,
    /// Rods of the wanted outline, bare and taped: bare ones within the hand's ± first, then by result; the best 24.
    pub candidates: Vec<Candidate>,
}

impl RingTarget {
    const TARGET: Span =
        Span { noun: Text::named("backwards-inside-diameter"), unit: " mm", least: 0.1, most: 300.0 };

    /// The same with what the workshop knows of its lot by now.
    #[must_use]
    pub fn known(mut self, workshop: &Workshop) -> Self {
        workshop.knows(&mut self.wire);
        self
    }

    /// The forward request on a given rod.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let wanted = RingRequest::new(wire, Mandrel::round(5.0), 100).target(5.0);
    /// assert_eq!(wanted.on(Mandrel::round(4.9)).rings_n, 100);
    /// ```
    pub fn on(&self, mandrel: Mandrel) -> RingRequest {
        RingRequest {
            wire: self.wire.clone(),
            mandrel,
            rings_n: self.rings_n,
            winding: self.winding,
            cutting: self.cutting.clone(),
            ends: self.ends.clone(),
            wish: Wish::default(),
            pulls_n: self.pulls_n,
            hammered_mm: self.hammered_mm,
            route: self.route.clone(),
        }
    }

    /// The rod that gives this ring, and the workshop's rods, ranked by what they give: bare rods that the hand
    /// cannot tell from the ideal one, then whatever comes nearest.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::SterlingSilver, 1.0, Temper::HalfHard);
    /// let wanted = RingRequest::new(wire, Mandrel::round(4.0), 100).target(4.0);
    /// let rods = vec![Mandrel::round(4.0), Mandrel::round(3.9)];
    /// let choice = wanted.choose(&Workshop { rods, ..Workshop::default() }).unwrap();
    /// // The rod to take is thinner than the ring; a bare one that is as near as the hand can tell comes first.
    /// assert!(choice.mandrel_diameter_mm < 4.0);
    /// assert_eq!(choice.candidates[0].mandrel.tape_layers, 0);
    /// ```
    ///
    /// # Errors
    /// Faults of the wire, cutting and count as in [`RingRequest::check`]; a fault at
    /// `target_inside_diameter_mm` when no rod gives such a ring.
    pub fn choose(&self, workshop: &Workshop) -> Result<RodChoice, Faults> {
        let target = self.target_inside_diameter_mm;
        let mut faults = Faults::none();
        faults.keep(Self::TARGET.check("target_inside_diameter_mm", target));
        if let Some(short) = self.target_inside_short_mm {
            faults.keep(Self::TARGET.check("target_inside_short_mm", short));
            let message = match self.shape {
                Shape::Oval if short > target => {
                    text!("backwards-short-way-longer-than-long", short = both(short), target = both(target))
                }
                Shape::Oval => String::new(),
                shape => text!("backwards-ring-has-no-short-way", shape),
            };
            if !message.is_empty() {
                faults.add(Fault::new("target_inside_short_mm", message).limit(target));
            }
        }
        let blank = Mandrel { shape: self.shape, ..Mandrel::round(10.0) };
        faults.keep(self.on(blank).check());
        if !faults.is_empty() {
            return Err(faults);
        }
        let mandrel_diameter_mm = self.ideal_diameter_mm()?;
        Ok(RodChoice { mandrel_diameter_mm, candidates: self.rank(workshop) })
    }

    /// A rod of the wanted outline: an oval one with the proportions wanted, since an oval keeps its own.
    fn rod(&self, diameter_mm: f64) -> Mandrel {
        let share = self.target_inside_short_mm.map(|short| short / self.target_inside_diameter_mm);
        let short_mm = share.filter(|_| self.shape == Shape::Oval).map(|share| share * diameter_mm);
        Mandrel { shape: self.shape, short_mm, ..Mandrel::round(diameter_mm) }
    }

    /// The ideal rod as it could be bought or turned, to a thousandth of a millimetre.
    pub fn ideal_rod(&self, diameter_mm: f64) -> Mandrel {
        let round = |mm: f64| (mm * 1000.0).round() / 1000.0;
        let rod = self.rod(diameter_mm);
        Mandrel { diameter_mm: round(rod.diameter_mm), short_mm: rod.short_mm.map(round), ..rod }
    }

    /// How far the ring an outline gives is from the one wanted, mm: the worse of an oval's two ways.
    fn off(&self, inside: Outline) -> f64 {
        let long = inside.across() - self.target_inside_diameter_mm;
        match self.target_inside_short_mm {
            Some(short) if self.shape == Shape::Oval => {
                let short = inside.short_across() - short;
                if short.abs() > long.abs() { short } else { long }
            }
            _ => long,
        }
    }

    /// The ring an outline gives, mm, or `None` where it gives none.
    pub fn inside_on(&self, bending: &Bending, outline: Outline) -> Option<f64> {
        Some(self.ring_on(bending, outline)?.across())
    }

    fn ring_on(&self, bending: &Bending, outline: Outline) -> Option<Outline> {
        let taken = self.cutting.taken(self.wire.size_mm).from_ring_mm;
        let shut = Coil::wind_with(bending, outline)?.closed(taken)?;
        let inside = match self.hammered_mm {
            Some(to_mm) => hammer::grown(bending.profile, shut, to_mm)?,
            None => shut,
        };
        inside.across().is_finite().then_some(inside)
    }

    fn ideal_diameter_mm(&self) -> Result<f64, Fault> {
        let target = self.target_inside_diameter_mm;
        let bending = self.on(Mandrel::round(1.0)).bending();
        let least = smallest_rod_mm(&self.wire, self.shape);
        // Too small a rod may leave nothing of a ring whose cut takes a whole turn.
        let smallest = self.ring_on(&bending, self.rod(least).outline()).map_or(0.0, Outline::across);
        if target < smallest - 1e-9 {
            let message = text!(
                "backwards-this-wire-makes-no-ring",
                target = both(target),
                least = both(least),
                smallest = both(smallest)
            );
            return Err(Fault::new("target_inside_diameter_mm", message).limit(smallest));
        }
        // What the cut takes is closed up: the coil must be so much longer round.
        let taken = self.cutting.taken(self.wire.size_mm).from_ring_mm;
        let wanted = self.rod(target).outline();
        // What is hammered grows: the ring that is shut is smaller.
        let shut = match self.hammered_mm {
            Some(to_mm) => hammer::before(self.wire.profile(), wanted, to_mm),
            None => Some(wanted),
        };
        let Some(closed) = shut else {
            let message = text!("backwards-no-ring-hammered-this-thin", target = both(target));
            return Err(Fault::new("target_inside_diameter_mm", message));
        };
        let relaxed = closed.with_perimeter(closed.perimeter() + taken);
        outline_for(&bending, relaxed).map(Outline::across).ok_or_else(|| {
            let message = text!(
                "backwards-this-springs-straight-before-makes",
                temper = self.wire.temper,
                metal = self.wire.metal,
                target = both(target)
            );
            Fault::new("target_inside_diameter_mm", message).limit(smallest)
        })
    }

    fn rank(&self, workshop: &Workshop) -> Vec<Candidate> {
        let rods = self.rods.as_ref().unwrap_or(&workshop.rods);
        let bending = self.on(Mandrel::round(1.0)).bending();
        let least = smallest_rod_mm(&self.wire, self.shape);
        let mut ranked: Vec<(Outline, &Mandrel, u32)> = vec![];
        let usable = |rod: &&Mandrel| rod.shape == self.shape && rod.check().is_ok();
        for rod in rods.iter().filter(usable) {
            for layers in rod.tape_layers..=rod.tape_layers.max(MOST_TAPE_LAYERS) {
                let outline = rod.outline_taped(layers);
                if outline.short_across() < least {
                    continue;
                }
                if let Some(inside) = self.ring_on(&bending, outline) {
                    ranked.push((inside, rod, layers));
                }
            }
        }
        // Tape only where it makes a difference that the hand does not make anyway.
        let off = |inside: Outline| self.off(inside).abs();
        let as_good = |inside: Outline, rod: &Mandrel, layers: u32| {
            let within = |plan: RingPlan| off(inside) <= plan.ring_inside_hand_mm;
            let near = off(inside) <= FARTHEST_MM + FARTHEST_SHARE * self.target_inside_diameter_mm;
            layers == 0 && near && self.on(rod.clone()).plan_in(workshop).is_ok_and(within)
        };
        let mut ranked: Vec<_> = ranked
            .into_iter()
            .map(|(inside, rod, layers)| (!as_good(inside, rod, layers), inside, rod, layers))
            .collect();
        // To the hundredth that is shown; among equals the rod with less tape comes first.
        // Each layer beyond the first is worth so much, since it wrinkles: three of them lose to a rod that is near.
        let shown = |inside: Outline, layers: u32| {
            (off(inside) * 100.0).round() + TAPE_WRINKLES * f64::from(layers.saturating_sub(1))
        };
        ranked.sort_by(|a, b| {
            let nearer = a.0.cmp(&b.0).then(shown(a.1, a.3).total_cmp(&shown(b.1, b.3)));
            nearer.then(a.3.cmp(&b.3)).then(off(a.1).total_cmp(&off(b.1)))
        });
        ranked
            .into_iter()
            .take(MOST_CANDIDATES)
            .map(|(_, inside, rod, tape_layers)| {
                let mandrel = Mandrel { tape_layers, ..rod.clone() };
                let label = mandrel.shown_in(workshop.habits.unit);
                Candidate {
                    mandrel,
                    label,
                    ring_inside_diameter_mm: inside.across(),
                    off_mm: self.off(inside),
                }
            })
            .collect()
    }
}

/// The thinnest rod a wire may be wound on, mm: its own thickness; for square wire twice its side.
fn smallest_rod_mm(wire: &Wire, shape: Shape) -> f64 {
    let thickness = wire.profile().thickness_mm();
    let short = match wire.section {
        crate::wire::section::Section::Square => crate::tool::coil::LEAST_SQUARE_RATIO * wire.size_mm,
        _ => thickness,
    };
    // An oval is measured along its long axis, half as long again as its short one.
    if shape == Shape::Oval { short * 1.5 } else { short }
}
