//! What a piece asks of its wire, whatever wire that is.

use crate::fault::Faults;
use crate::pattern::{PatternRequest, Worn};
use crate::ring::RingRequest;
use crate::shape::Course;
use crate::tool::coil::Coil;
use crate::wire::Wire;
use crate::wire::bending::Bending;
use crate::wire::section::{Profile, Section};
use crate::wire::strength::{self, tumbled_strain};

/// A place that bears: the inside diameter that is the arm of the load, and that of the bend that hardened it, mm;
/// none on a flat.
#[derive(Debug, Clone, Copy, PartialEq)]
struct Bearing {
    arm_mm: f64,
    bent_mm: Option<f64>,
}

/// What a piece asks of its wire. Inside dimensions stay as they are; lengths follow the thickness.
#[derive(Debug, Clone, PartialEq)]
pub struct Duty {
    /// The section it is drawn in.
    pub section: Section,
    /// The size it is drawn in, mm.
    pub drawn_mm: f64,
    /// Where it is worn.
    pub worn: Worn,
    /// What it is called.
    pub name: String,
    bearing: Vec<Bearing>,
    /// Inside diameters of its bends, mm, each with what hammering leaves of the thickness, as a share.
    bends: Vec<(f64, f64)>,
    /// Wire in it as drawn, mm, and how far it turns in all, radians.
    developed_mm: f64,
    turned: f64,
    /// Length beyond the piece itself: tails, mm.
    tails_mm: f64,
    /// The sliver and what is filed off, in thicknesses.
    ends: f64,
    strands: f64,
}

/// What a wire does in the piece.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(super) struct Measured {
    pub holds_n: f64,
    pub holds_hardened_n: f64,
    /// Effort of the hands, as a multiple of soft 0.8 mm copper.
    pub effort: f64,
    /// Share of the strain it bears, 0 to 1 and above.
    pub strain_used: f64,
    pub springback_ratio: f64,
    pub blank_mm: f64,
    /// Its cut length as it is measured off, mm; none of what is cut from a coil.
    pub cut_mm: Option<f64>,
    /// Closed for good, so that it does not open.
    pub closed: bool,
}

impl Duty {
    /// Of rings: the ring's own bend bears; its blank is one turn and what cutting takes of it.
    pub(super) fn of_rings(request: &RingRequest) -> Result<Self, Faults> {
        let plan = request.plan()?;
        let coil = Coil::wind_at(&request.wire, &request.mandrel, &request.bending())?;
        let c = request.wire.profile().centroid_mm();
        let tightest = 2.0 * (coil.tightest_mm() - c);
        let per_ring = plan.wire_length_mm / f64::from(request.rings_n);
        Ok(Self {
            section: request.wire.section,
            drawn_mm: request.wire.size_mm,
            worn: Worn::Between,
            name: "rings".to_owned(),
            bearing: vec![Bearing {
                arm_mm: plan.ring_inside_short_mm,
                bent_mm: coil.relaxed.side_radius().map(|radius| 2.0 * radius),
            }],
            bends: vec![(tightest, 1.0)],
            developed_mm: per_ring,
            turned: std::f64::consts::TAU,
            tails_mm: 0.0,
            ends: 0.0,
            strands: 1.0,
        })
    }

    /// Of a finding: its bearing bends, all its bends, its blank.
    pub(super) fn of_finding(request: &PatternRequest) -> Result<Self, Faults> {
        let formed = request.form()?;
        let design = &formed.design;
        let h = design.profile.thickness_mm();
        let c = design.profile.centroid_mm();
        let bearing = formed.arms().iter().filter_map(|(segment, arm)| {
            let bent_mm = match design.segments.get(*segment)?.course {
                Course::Oval { long_mm, short_mm } => Some(long_mm * long_mm / short_mm),
                course => course.tightest_mm(),
            };
            Some(Bearing { arm_mm: 2.0 * (*arm - c), bent_mm })
        });
        let bends = design.segments.iter().filter_map(|segment| {
            let kept = segment.flattened_mm.map_or(1.0, |t| (t / h).min(1.0));
            segment.course.tightest_mm().map(|inside| (inside, kept))
        });
        let turned = design.segments.iter().map(|s| s.curve(design.profile).angle()).sum();
        Ok(Self {
            section: request.wire.section,
            drawn_mm: request.wire.size_mm,
            worn: request.kind.0.worn,
            name: request.kind.0.plural.to_owned().to_string(),
            bearing: bearing.collect(),
            bends: bends.collect(),
            developed_mm: formed.developed_mm(),
            turned,
            tails_mm: design.tails_mm.0 + design.tails_mm.1,
            ends: formed.ends_share(),
            strands: design.strands,
        })
    }

    /// What a wire does in the piece; none where a bend is not open to it: it springs straight.
    ///
    /// Load: [`strength::collapse_n`] where it gives first, near what opens it: thousands of wires are looked at, and those
    /// that are shown hold what their route says. Strain: `[ln(1 + h/2R) + ln(h/t)] / left`.
    /// Blank: developed + turned · (c − c as drawn) + ends.
    pub(super) fn measure(&self, wire: &Wire) -> Option<Measured> {
        let profile = wire.profile();
        let (c, h) = (profile.centroid_mm(), profile.thickness_mm());
        let bending = Bending::of(wire);
        let places: Vec<(f64, Option<f64>)> = self
            .bearing
            .iter()
            .map(|place| {
                let bent = place.bent_mm.map(|inside| inside / 2.0 + c);
                (place.arm_mm / 2.0 + c, bent.map(|radius| bending.wound_radius(radius).unwrap_or(radius)))
            })
            .collect();
        let load = |extra: f64| {
            let of = |(arm, wound): &(f64, Option<f64>)| strength::collapse_n(&bending, *arm, *wound, extra);
            places.iter().map(of).min_by(f64::total_cmp).map_or(0.0, |least| self.strands * least)
        };
        let left = strength::strain_left(wire);
        let used = |(inside, kept): &(f64, f64)| {
            (strength::outer_strain(profile, inside / 2.0 + c) - kept.ln()) / left
        };
        // Where nothing bears, the widest bend of all tells how the piece springs.
        let bearing = self.bearing.iter().filter_map(|place| place.bent_mm).fold(0.0, f64::max);
        let all = self.bends.iter().map(|(inside, _)| *inside).fold(0.0, f64::max);
        let widest = if bearing > 0.0 { bearing } else { all };
        let radius = widest / 2.0 + c;
        let wound = || bending.wound_radius(radius).map_or(0.0, |wound| wound / radius);
        let springback_ratio = if widest > 0.0 { wound() } else { 1.0 };
        if springback_ratio <= 0.0 {
            return None;
        }
        let drawn = Profile { section: self.section, size_mm: self.drawn_mm };
        let developed = self.developed_mm + self.turned * (c - drawn.centroid_mm());
        Some(Measured {
            holds_n: load(0.0),
            holds_hardened_n: load(tumbled_strain(h)),
            effort: strength::hand_effort(wire),
            strain_used: self.bends.iter().map(used).fold(0.0, f64::max),
            springback_ratio,
            blank_mm: developed + self.tails_mm + self.ends * h,
            cut_mm: None,
            closed: false,
        })
    }

    /// Whether anything of it bears a load.
    pub(super) fn bears(&self) -> bool {
        !self.bearing.is_empty()
    }
}
