//! What follows from a chain that is asked for.

use serde::Serialize;

use super::placing::Building;
use super::strands::strands_n;
use super::weave::Weave;
use super::{ChainRequest, MOST_RINGS, RingSize, Suits, Taut};
use crate::fault::{Fault, Faults};
use crate::making::holds::Holds;
use crate::ring::{RingPlan, RingRequest};
use crate::tool::workshop::Workshop;
use crate::wire::strength::load_told;
use crate::words::length::both;
use lorimant_text::{fixed, text};

/// What follows from a [`ChainRequest`]. Lengths in mm, masses in g, of one chain unless the name says otherwise.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct ChainPlan {
    /// Rings in it.
    pub rings_n: u32,
    /// Of those, shut beforehand.
    pub pre_closed_n: u32,
    /// Of those, put in open.
    pub open_n: u32,
    /// Rings of each part, in the order of the weave's parts.
    pub parts_n: Vec<u32>,
    /// Of those, shut beforehand.
    pub parts_pre_closed_n: Vec<u32>,
    /// Rings in a cell.
    pub rings_per_cell: u32,
    /// Cells along its length: its rows.
    pub cells_n: u32,
    /// Cells across; 1 of a chain.
    pub across_n: u32,
    /// From a cell to the next, taut.
    pub repeat_mm: f64,
    /// Inside of its ring.
    pub ring_inside_mm: f64,
    /// Inside of its ring over the wire.
    pub aspect_ratio: f64,
    /// The smallest at which its rings go into each other.
    pub smallest_ratio: f64,
    /// What makers usually take, about.
    pub usual_ratio: [f64; 2],
    /// Whether its rings go into each other.
    pub fits: bool,
    /// How the ratio suits.
    pub suits: Suits,
    /// How long the rings are, taut, without a clasp.
    pub chain_length_mm: f64,
    /// One standard deviation of it, from the rings' own.
    pub chain_length_spread_mm: f64,
    /// What the clasp adds.
    pub clasp_mm: f64,
    /// How long it is, clasp included.
    pub finished_length_mm: f64,
    /// Across the chain, one way and the other.
    pub across_mm: [f64; 2],
    /// Wire in its rings.
    pub wire_length_mm: f64,
    /// Its mass, without a clasp.
    pub mass_g: f64,
    /// Rings to make for all chains, spares and what is scrapped included.
    pub rings_to_make_n: u32,
    /// Of those of the second part, where it has rings of its own.
    pub second_to_make_n: u32,
    /// Wire off the spool for them.
    pub off_the_spool_mm: f64,
    /// The same, g.
    pub off_the_spool_g: f64,
    /// Coils to wind.
    pub coils_n: u32,
    /// The fewest rings that must open before it parts.
    pub strands_n: u32,
    /// Load at which its rings start to open, N: as many as must, sharing it. An estimate.
    pub rings_open_n: f64,
    /// Load at which its clasp starts to open, N; none where it has none, or one that is shut for good. An estimate.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub clasp_opens_n: Option<f64>,
    /// What opens it first, in a sentence.
    pub opens_first: String,
}

/// Rings as they are in the hand: their size, and how far that may be off, mm.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(super) struct Sized {
    pub size: RingSize,
    /// What all rings of a coil share: metal and kerf.
    pub spread_mm: f64,
}

impl Sized {
    pub fn of(request: &RingRequest, plan: &RingPlan) -> Self {
        let size = RingSize { inside_mm: plan.ring_inside_diameter_mm, wire_mm: request.wire.size_mm };
        Self { size, spread_mm: plan.ring_inside_spread_mm }
    }
}

/// How a length is made up of cells.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Counted {
    /// Cells along.
    pub cells_n: u32,
    /// Cells across.
    pub across_n: u32,
    /// All rings.
    pub rings_n: u32,
}

/// As many cells as come nearest to a length, mm; of a sheet so many across.
///
/// # Errors
/// A fault at `length_mm` where the length is shorter than one repeat, or takes more rings than can be planned.
pub fn counted(weave: &Weave, taut: &Taut, length_mm: f64, across_n: u32) -> Result<Counted, Faults> {
    let repeat = taut.repeat_mm;
    if length_mm < repeat {
        let message = text!(
            "chain-plan-that-leaves-for-rings-one",
            length_mm = both((length_mm.max(0.0) * 10.0).round() / 10.0),
            name = weave.name,
            repeat = both((repeat * 100.0).ceil() / 100.0)
        );
        return Err(Fault::new("length_mm", message).limit(repeat).into());
    }
    let across_n = if weave.is_sheet() { across_n } else { 1 };
    let cells = (length_mm / repeat).round();
    let rings = cells * weave.rings_n() as f64 * f64::from(across_n);
    if rings > f64::from(MOST_RINGS) {
        let message = text!("chain-plan-that-needs-rings-one-plan", rings = fixed(rings, 0), MOST_RINGS);
        return Err(Fault::new("length_mm", message).limit(f64::from(MOST_RINGS)).into());
    }
    #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "at most a hundred thousand")]
    Ok(Counted { cells_n: cells as u32, across_n, rings_n: rings as u32 })
}

impl ChainPlan {
    /// Puts in what its rings and its clasp hold, and which gives first.
    pub(super) fn holds(&mut self, rings: Holds, clasp: Option<Holds>, has_clasp: bool) {
        self.rings_open_n = rings.first_set_n;
        self.clasp_opens_n = clasp.filter(|holds| !holds.closed).map(|holds| holds.first_set_n);
        self.opens_first = opens_first(self.rings_open_n, self.strands_n, self.clasp_opens_n, has_clasp);
    }

    /// Of its rings, those of the second part, where that has rings of its own.
    #[must_use]
    pub fn second_n(&self) -> u32 {
        if self.second_to_make_n > 0 { self.parts_n.get(1).copied().unwrap_or(0) } else { 0 }
    }
}

impl ChainRequest {
    /// Works the plan out, made by a usual hand.
    ///
    /// # Errors
    /// Every fault of [`ChainRequest::check`]; those of its rings within `ring`; one at `ring.mandrel` where the rings do not
    /// go into each other; one at `length_mm` where the length is too short or too long.
    pub fn plan(&self) -> Result<ChainPlan, Faults> {
        self.plan_in(&Workshop::default())
    }

    /// How its first rings lie in the weave, whether they go into each other or not.
    ///
    /// # Errors
    /// The faults of its rings and its weave.
    pub fn taut(&self) -> Result<Taut, Faults> {
        self.check()?;
        let sizes = self.sized(&Workshop::default())?.iter().map(|one| one.size).collect::<Vec<_>>();
        Taut::of(self.design()?, &sizes)
    }

    /// Whether how its rings lie is known without working it out anew; also where it has faults.
    #[must_use]
    pub fn is_at_hand(&self) -> bool {
        let sizes = self.sized(&Workshop::default());
        let (Ok(design), Ok(sizes)) = (self.design(), sizes) else { return true };
        Taut::is_at_hand(design, &sizes.iter().map(|one| one.size).collect::<Vec<_>>())
    }

    /// Checks it as far as it can be told without working out how its rings lie: its plan where that is at hand, else each
    /// value by itself.
    ///
    /// # Errors
    /// As [`ChainRequest::plan`], or as [`ChainRequest::check`].
    pub fn check_as_known(&self) -> Result<(), Faults> {
        if self.is_at_hand() { self.plan().map(|_| ()) } else { self.check() }
    }

    /// The sizes of its rings, part by part.
    pub(super) fn sized(&self, workshop: &Workshop) -> Result<Vec<Sized>, Faults> {
        let one = |at: &str, ring: &RingRequest| {
            let ring = RingRequest { rings_n: 1, ..ring.clone() };
            let plan = ring.plan_as_wound(workshop).map_err(|faults| faults.within(at))?;
            Ok::<_, Faults>(Sized::of(&ring, &plan))
        };
        let mut sized = vec![one("ring", &self.ring)?];
        if let Some(second) = &self.second_ring {
            sized.push(one("second_ring", second)?);
        }
        Ok(sized)
    }

    /// The same, as this workshop makes it.
    ///
    /// # Errors
    /// As [`ChainRequest::plan`]; a fault at the step of its route that cannot be.
    pub fn plan_in(&self, workshop: &Workshop) -> Result<ChainPlan, Faults> {
        Ok(self.finished(workshop)?.plan)
    }

    /// Its rings counted and laid, before any route is run: what it holds comes with the route, and is 0 here.
    pub(super) fn counted_in(&self, workshop: &Workshop) -> Result<ChainPlan, Faults> {
        self.check()?;
        let weave = self.design()?;
        let sized = self.sized(workshop)?;
        let sizes: Vec<RingSize> = sized.iter().map(|one| one.size).collect();
        let taut = Taut::of(weave, &sizes)?;
        if !taut.fits() {
            return Err(self.does_not_fit(weave, &taut).into());
        }
        let clasp = self.clasp.as_ref().map(|clasp| clasp.form()).transpose()?;
        let clasp_mm = clasp.as_ref().and_then(|formed| formed.pull_mm()).unwrap_or(0.0);
        let for_rings_mm = self.length_mm - self.ease_mm - clasp_mm;
        let counted = counted(weave, &taut, for_rings_mm, self.across_n)?;
        let building = Building::of(weave, counted.cells_n, counted.across_n)?;
        let (to_make, second_to_make) = self.to_make(weave, counted);
        let ring = RingRequest { rings_n: to_make - second_to_make, ..self.ring.clone() };
        let planned = ring.plan_as_wound(workshop).map_err(|faults| faults.within("ring"))?;
        let second = match &self.second_ring {
            Some(second) => {
                let second = RingRequest { rings_n: second_to_make.max(1), ..second.clone() };
                let plan = second
                    .plan_at(workshop, second.spent())
                    .map_err(|faults| faults.within("second_ring"))?;
                Some((second, plan))
            }
            None => None,
        };
        let parts_n = parts_n(weave, counted);
        let seconds_n = if second.is_some() { parts_n.get(1).copied().unwrap_or(0) } else { 0 };
        let firsts_n = counted.rings_n - seconds_n;
        let chain_length_mm = f64::from(counted.cells_n) * taut.repeat_mm;
        let wire_mm = f64::from(firsts_n) * planned.ring_length_mm
            + second.as_ref().map_or(0.0, |(_, plan)| f64::from(seconds_n) * plan.ring_length_mm);
        let mass_g = self.ring.wire.mass_g(f64::from(firsts_n) * planned.ring_length_mm)
            + second
                .as_ref()
                .map_or(0.0, |(ring, plan)| ring.wire.mass_g(f64::from(seconds_n) * plan.ring_length_mm));
        let strands_n = strands_n(weave, counted.across_n).max(1);
        Ok(ChainPlan {
            rings_n: counted.rings_n,
            pre_closed_n: building.shut_n(),
            open_n: building.open_n(),
            parts_pre_closed_n: (0..parts_n.len()).map(|part| building.shut_of_part_n(part)).collect(),
            parts_n,
            rings_per_cell: u32::try_from(weave.rings_n()).unwrap_or(0),
            cells_n: counted.cells_n,
            across_n: counted.across_n,
            repeat_mm: taut.repeat_mm,
            aspect_ratio: taut.ratio,
            smallest_ratio: taut.smallest_ratio,
            usual_ratio: taut.usual,
            fits: true,
            suits: taut.suits,
            chain_length_mm,
            // What a ring adds to the repeat, times what all rings share of their ±.
            chain_length_spread_mm: f64::from(counted.cells_n) * taut.grows.abs() * sized[0].spread_mm,
            clasp_mm,
            finished_length_mm: chain_length_mm + clasp_mm,
            across_mm: across_of(&taut, &sizes, weave, counted),
            wire_length_mm: wire_mm,
            mass_g,
            rings_to_make_n: to_make,
            second_to_make_n: second_to_make,
            off_the_spool_mm: planned.wire_length_mm
                + second.as_ref().map_or(0.0, |(_, plan)| plan.wire_length_mm),
            off_the_spool_g: planned.wire_mass_g + second.as_ref().map_or(0.0, |(_, plan)| plan.wire_mass_g),
            coils_n: planned.coils_n + second.as_ref().map_or(0, |(_, plan)| plan.coils_n),
            strands_n,
            ring_inside_mm: sizes[0].inside_mm,
            rings_open_n: 0.0,
            clasp_opens_n: None,
            opens_first: String::new(),
        })
    }

    /// Rings to make for all chains, and how many of them for the second part: with spares, and what is scrapped.
    fn to_make(&self, weave: &Weave, counted: Counted) -> (u32, u32) {
        let with_scrap = |rings_n: u32| {
            let all = f64::from(rings_n) * f64::from(self.chains_n) * (1.0 + self.scrap_share);
            #[expect(
                clippy::cast_possible_truncation,
                clippy::cast_sign_loss,
                reason = "limited on planning"
            )]
            let all = (all - 1e-9).ceil().min(1e8) as u32;
            all + self.spares_n
        };
        if self.second_ring.is_none() {
            return (with_scrap(counted.rings_n), 0);
        }
        let second = parts_n(weave, counted).get(1).copied().unwrap_or(0);
        (with_scrap(counted.rings_n - second) + with_scrap(second), with_scrap(second))
    }

    pub(super) fn does_not_fit(&self, weave: &Weave, taut: &Taut) -> Fault {
        let wire = self.ring.wire.size_mm;
        let message = text!(
            "chain-plan-these-rings-have-aspect-ratio",
            ratio = fixed(taut.ratio, 2),
            name = weave.name,
            smallest_ratio = fixed(taut.smallest_ratio, 2),
            smallest_ratio2 = both((taut.smallest_ratio * wire * 100.0).ceil() / 100.0)
        );
        Fault::new("ring.mandrel.diameter_mm", message).limit(taut.smallest_ratio)
    }

    /// How its first part's rings are made, as many as it takes.
    ///
    /// # Errors
    /// As [`ChainRequest::plan`].
    pub fn rings(&self) -> Result<RingRequest, Faults> {
        let plan = self.counted_in(&Workshop::default())?;
        Ok(self.rings_of(&plan))
    }

    /// The same of its second part; none where all its rings are alike.
    ///
    /// # Errors
    /// As [`ChainRequest::plan`].
    pub fn second_rings(&self) -> Result<Option<RingRequest>, Faults> {
        if self.second_ring.is_none() {
            return Ok(None);
        }
        Ok(self.second_of(&self.counted_in(&Workshop::default())?))
    }
}

/// Rings of each part.
fn parts_n(weave: &Weave, counted: Counted) -> Vec<u32> {
    let mut parts = vec![0; weave.parts().len()];
    for ring in 0..weave.rings_n() {
        parts[weave.part_of(ring)] += counted.cells_n * counted.across_n;
    }
    parts
}

/// How far a chain reaches across its length, one way and the other, mm.
fn across_of(taut: &Taut, sizes: &[RingSize], weave: &Weave, counted: Counted) -> [f64; 2] {
    let Some(pose) = &taut.pose else { return [0.0; 2] };
    let reach = |way: glam::DVec3| {
        let mut span = (f64::MAX, f64::MIN);
        // Turned cells reach elsewhere: a whole turn's worth of them is looked at.
        for cell in 0..if weave.is_sheet() { 1 } else { 4 } {
            for i in 0..pose.rings.len() {
                let ring = pose.ring(weave, i, cell, 0);
                let wire = sizes.get(weave.part_of(i)).unwrap_or(&sizes[0]).wire_mm;
                let half = ring.radius * (1.0 - ring.axis.dot(way).powi(2)).max(0.0).sqrt() + wire / 2.0;
                let at = ring.center.dot(way);
                span = (span.0.min(at - half), span.1.max(at + half));
            }
        }
        span.1 - span.0
    };
    let aside = f64::from(counted.across_n.saturating_sub(1)) * taut.across_mm;
    [reach(glam::DVec3::Y) + aside, reach(glam::DVec3::Z)]
}

fn opens_first(rings_n: f64, strands_n: u32, clasp_n: Option<f64>, has_clasp: bool) -> String {
    let share = match strands_n {
        1 => text!("chain-plan-one-ring-carries").to_owned(),
        n => text!("chain-plan-rings-share", n),
    };
    match clasp_n {
        Some(clasp) if clasp < rings_n => text!(
            "chain-plan-clasp-opens-first-at-about",
            clasp = load_told(clasp),
            share,
            rings_n = load_told(rings_n)
        ),
        Some(clasp) => text!(
            "chain-plan-rings-open-first-at-about",
            share,
            rings_n = load_told(rings_n),
            clasp = load_told(clasp)
        ),
        None => text!(
            "chain-plan-rings-open-first-at-about-estimate",
            share,
            rings_n = load_told(rings_n),
            value = if has_clasp { text!("chain-plan-clasp-does-not-open") } else { "" }
        ),
    }
}
