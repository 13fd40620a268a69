//! What follows from a request for rings: turns, wire, sizes.

use serde::Serialize;

use super::{MOST_RINGS, RingRequest};
use crate::fault::{Fault, Faults};
use crate::making::Changes;
use crate::shape::hammered as hammer;
use crate::tool::coil::Coil;
use crate::tool::cutting::{CutLoss, Method};
use crate::tool::method::PULL_STRAIN;
use crate::tool::outline::Outline;
use crate::tool::workshop::Workshop;
use crate::wire::SIZE_SPREAD;
use crate::wire::bending::Bending;
use crate::wire::section::Profile;
use crate::words::length::{both, pulled_mm};
use lorimant_text::text;

/// What follows from a [`RingRequest`]. Lengths in mm, unless the name says otherwise.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct RingPlan {
    /// Inside of the coil after letting go, before cutting. Across the flats, or the long axis,
    /// where the rod is not round.
    pub coil_inside_diameter_mm: f64,
    /// R0/R1: share of a wound turn that stays a turn.
    pub springback_ratio: f64,
    /// Inside of the ring in the hand: let go, cut, closed.
    pub ring_inside_diameter_mm: f64,
    /// One standard deviation of it from metal, wire size and blade alone.
    pub ring_inside_spread_mm: f64,
    /// One standard deviation of it as the ring is in the hand: metal and kerf, and what handwork adds.
    pub ring_inside_hand_mm: f64,
    /// The shorter way across inside an oval ring; the same as the diameter for any other.
    pub ring_inside_short_mm: f64,
    /// Outside of the ring in the hand.
    pub ring_outside_diameter_mm: f64,
    /// Ring inside diameter over wire thickness.
    pub aspect_ratio: f64,
    /// How far the ends of a cut ring stand apart sideways until it is closed.
    pub gap_step_mm: f64,
    /// Turns to wind, all coils together, ragged ends included.
    pub turns_wound: f64,
    /// Turns left after letting go, all coils together.
    pub turns_relaxed: f64,
    /// Number of coils, all wound alike.
    pub coils_n: u32,
    /// Rings in one coil; the last may have fewer, its turns left over.
    pub rings_per_coil_n: u32,
    /// Turns to wind in one coil: whole ones, that can be counted.
    pub turns_per_coil_n: u32,
    /// Wire to pull off the spool for one coil, as the metre stick reads it.
    pub coil_wire_mm: f64,
    /// Length of one coil on the rod.
    pub coil_length_mm: f64,
    /// From turn to turn while wound.
    pub pitch_mm: f64,
    /// Wire in one wound turn.
    pub turn_length_mm: f64,
    /// Wire in one turn after letting go.
    pub relaxed_turn_length_mm: f64,
    /// Wire left in one ring.
    pub ring_length_mm: f64,
    /// Wire to pull off the spool.
    pub wire_length_mm: f64,
    /// Its mass, grams.
    pub wire_mass_g: f64,
    /// Wire that becomes rings.
    pub rings_wire_mm: f64,
    /// Wire that becomes kerf, slivers or filings.
    pub cutting_wire_mm: f64,
    /// Wire in the ragged part-turns, and in turns wound to make the count whole.
    pub ragged_wire_mm: f64,
    /// Wire in the tails, with what the metre stick adds.
    pub tails_wire_mm: f64,
    /// Share of the strain the metal had left that the tightest bend uses. Over 0.6 watch, over 1
    /// it is expected to crack.
    pub strain_used: f64,
    /// Load that opens a closed, unsoldered ring, N. An estimate.
    pub opening_force_n: f64,
    /// Effort of winding it, as a multiple of 20 AWG soft copper.
    pub hand_effort: f64,
}

/// How a request's rings lie on its coils.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(crate) struct Layout {
    /// Most rings one coil can have on this rod.
    pub rings_per_coil: u32,
    /// Relaxed turns each ring takes of the coil.
    pub turns_per_ring: f64,
}

impl RingRequest {
    /// Works the plan out.
    ///
    /// # Errors
    /// Every fault of [`RingRequest::check`]; then the first of: wire thicker than the rod, square
    /// wire on too small a rod, a coil that springs straight, a cut that takes the whole ring, a rod
    /// too short for one ring.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    ///
    /// let request: RingRequest = serde_json::from_str(
    ///     r#"{"wire": {"metal": "copper", "size_mm": 1.0}, "mandrel": {"diameter_mm": 5.0}, "rings_n": 20}"#,
    /// )
    /// .unwrap();
    /// let plan = request.plan().unwrap();
    /// // Outside is inside and two thicknesses.
    /// assert!((plan.ring_outside_diameter_mm - plan.ring_inside_diameter_mm - 2.0).abs() < 1e-9);
    /// ```
    pub fn plan(&self) -> Result<RingPlan, Faults> {
        let anywhere = Workshop::default();
        // What is refused of its route changes nothing of its size.
        self.plan_in(&anywhere)
            .or_else(|_| Self { route: Changes::default(), ..self.clone() }.plan_in(&anywhere))
    }

    /// The same as this workshop makes it: by its hand, its methods and what is changed about its route, read off the
    /// finished rings.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::tool::hand::HandSpread;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let request = RingRequest::new(wire, Mandrel::round(5.0), 100);
    /// let hand = HandSpread { rod_mm: 0.0, ..HandSpread::default() };
    /// let steady = Workshop { hand, ..Workshop::default() };
    /// let (usual, steadier) = (request.plan().unwrap(), request.plan_in(&steady).unwrap());
    /// // A steadier hand changes the spread, not the ring.
    /// assert_eq!(usual.ring_inside_diameter_mm, steadier.ring_inside_diameter_mm);
    /// assert!(steadier.ring_inside_hand_mm < usual.ring_inside_hand_mm);
    /// ```
    ///
    /// # Errors
    /// As [`RingRequest::plan`]; a fault at the step of its route that cannot be.
    pub fn plan_in(&self, workshop: &Workshop) -> Result<RingPlan, Faults> {
        Ok(self.finished(workshop)?.plan)
    }

    /// Its geometry before its route is run: what a chain is built of. What it holds, spends and asks of the hand come with
    /// the route, and are 0 here.
    ///
    /// # Errors
    /// As [`RingRequest::plan`].
    pub(crate) fn plan_as_wound(&self, workshop: &Workshop) -> Result<RingPlan, Faults> {
        self.plan_at(workshop, self.spent())
    }

    /// Strain spent in its wire when it is wound: the temper it was sold in, and the pulls that straighten it.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let pulled = RingRequest { pulls_n: 12, ..RingRequest::new(wire, Mandrel::round(5.0), 10) };
    /// assert!((pulled.spent() - 0.24).abs() < 1e-12);
    /// ```
    pub fn spent(&self) -> f64 {
        let pulled = PULL_STRAIN * f64::from(self.pulls_n);
        self.route.strain_when_wound(self.wire.temper.strain(), pulled)
    }

    /// How its wire bends when it is wound.
    pub fn bending(&self) -> Bending {
        Bending::after(&self.wire, self.spent())
    }

    /// The same, of wire in which so much strain is spent when it is wound.
    ///
    /// # Errors
    /// As [`RingRequest::plan`].
    pub(crate) fn plan_at(&self, workshop: &Workshop, spent: f64) -> Result<RingPlan, Faults> {
        self.check()?;
        let bending = Bending::after(&self.wire, spent);
        let coil = Coil::wind_at(&self.wire, &self.mandrel, &bending)?;
        let taken = self.cutting.taken(self.wire.size_mm);
        let shut = coil.closed(taken.from_ring_mm).ok_or_else(|| self.all_taken(taken, &coil))?;
        let inside = self.hammered_mm.map_or(Some(shut), |to_mm| hammer::grown(coil.profile, shut, to_mm));
        let inside = inside.ok_or_else(|| self.closes_up(&coil))?;
        let layout = self.layout(&coil, taken)?;
        Ok(self.assemble((&coil, &bending), taken, inside, layout, workshop))
    }

    fn closes_up(&self, coil: &Coil) -> Fault {
        let thickness = coil.profile.thickness_mm();
        let message = text!(
            "ring-plan-hammered-this-thin-wire-such",
            thickness = both((thickness * 0.7 * 100.0).round() / 100.0)
        );
        Fault::new("hammered_mm", message)
    }

    fn all_taken(&self, taken: CutLoss, coil: &Coil) -> Fault {
        let most = coil.relaxed.perimeter();
        let message = text!(
            "ring-plan-cutting-takes-off-each-ring",
            from_ring_mm = both(taken.from_ring_mm),
            most = both(most)
        );
        Fault::new("cutting.kerf_mm", message).limit(most)
    }

    pub(crate) fn layout(&self, coil: &Coil, taken: CutLoss) -> Result<Layout, Fault> {
        let turns_per_ring = 1.0 + taken.between_mm / coil.relaxed_turn_mm();
        let room = self.coil_room_mm();
        let relaxed = self.most_turns(coil) * coil.springback_ratio;
        let rings = ((relaxed - self.ends.ragged_turns) / turns_per_ring + 1e-9).floor();
        if rings < 1.0 {
            let one = Layout { rings_per_coil: 1, turns_per_ring };
            let least = self.turns_for(1.0, coil, one) * coil.pitch_mm;
            let message =
                text!("ring-plan-coil-too-short-for-single", room = both(room), least = both(least));
            return Err(Fault::new("mandrel.usable_mm", message).limit(least));
        }
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "clamped to the limit")]
        let rings = rings.min(f64::from(MOST_RINGS)) as u32;
        Ok(Layout { rings_per_coil: rings, turns_per_ring })
    }

    fn assemble(
        &self,
        (coil, bending): (&Coil, &Bending),
        taken: CutLoss,
        inside: Outline,
        layout: Layout,
        workshop: &Workshop,
    ) -> RingPlan {
        let n = f64::from(self.rings_n);
        let coils_n = self.rings_n.div_ceil(layout.rings_per_coil);
        let coils = f64::from(coils_n);
        let rings_per_coil_n = self.rings_n.div_ceil(coils_n);

        // Hands count whole turns, and wind every coil alike.
        let turns_per_coil = self.turns_for(f64::from(rings_per_coil_n), coil, layout);
        #[expect(
            clippy::cast_possible_truncation,
            clippy::cast_sign_loss,
            reason = "whole, and fits the rod"
        )]
        let turns_per_coil_n = turns_per_coil as u32;
        let turns_wound = coils * turns_per_coil;
        let turns_relaxed = turns_wound * coil.springback_ratio;
        let turn = coil.relaxed_turn_mm();
        let in_turns_mm = turns_per_coil * coil.turn_mm;
        let ends_mm = self.ends.anchor_mm + self.ends.finish_mm;
        let coil_wire_mm = pulled_mm(in_turns_mm + ends_mm, workshop.habits.unit);
        let wire_length_mm = coils * coil_wire_mm;
        let tails_wire_mm = wire_length_mm - coils * in_turns_mm;
        let ragged_turns = turns_relaxed - n * layout.turns_per_ring;
        let thickness = coil.profile.thickness_mm();
        let wide = self.hammered_mm.map_or(thickness, |to_mm| hammer::width_mm(coil.profile, to_mm));
        let spread = self.inside_spread_mm(bending, inside.across());
        let sawn = self.cutting.method == Method::Saw;

        RingPlan {
            coil_inside_diameter_mm: coil.relaxed.across(),
            springback_ratio: coil.springback_ratio,
            ring_inside_diameter_mm: inside.across(),
            ring_inside_spread_mm: spread,
            ring_inside_hand_mm: workshop.hand.with(spread, &self.mandrel, sawn),
            ring_inside_short_mm: inside.short_across(),
            ring_outside_diameter_mm: inside.across() + 2.0 * wide,
            aspect_ratio: inside.across() / wide,
            gap_step_mm: coil.relaxed_pitch_mm(),
            turns_wound,
            turns_relaxed,
            coils_n,
            rings_per_coil_n,
            turns_per_coil_n,
            coil_wire_mm,
            coil_length_mm: turns_per_coil * coil.pitch_mm,
            pitch_mm: coil.pitch_mm,
            turn_length_mm: coil.turn_mm,
            relaxed_turn_length_mm: turn,
            ring_length_mm: turn - taken.from_ring_mm,
            wire_length_mm,
            wire_mass_g: self.wire.mass_g(wire_length_mm),
            rings_wire_mm: n * (turn - taken.from_ring_mm),
            cutting_wire_mm: n * (taken.from_ring_mm + taken.between_mm),
            ragged_wire_mm: ragged_turns * turn,
            tails_wire_mm,
            strain_used: 0.0,
            opening_force_n: 0.0,
            hand_effort: 0.0,
        }
    }

    /// One standard deviation of the ring's inside diameter, mm: flow stress ±15 % and modulus ±3 %, or what is left
    /// to learn of its lot, wire size ±1 %, blade ±0.02 mm, each moved by itself and the effects added in squares.
    ///
    /// Springback knows stress only as a share of the modulus, so both spreads move one number.
    fn inside_spread_mm(&self, bending: &Bending, nominal: f64) -> f64 {
        let flow = bending.flow;
        let profile = self.wire.profile();
        let stress = self.wire.stress_spread();
        let thicker = Profile { size_mm: profile.size_mm * (1.0 + SIZE_SPREAD), ..profile };
        let moved =
            [Bending { profile, flow: flow.strengthened(1.0 + stress) }, Bending { profile: thicker, flow }];
        let taken = self.cutting.taken(self.wire.size_mm).from_ring_mm;
        let outline = self.mandrel.outline();
        let mut squares = 0.0;
        for bending in moved {
            let shut = Coil::wind_with(&bending, outline).and_then(|coil| coil.closed(taken));
            let inside = match self.hammered_mm {
                Some(to_mm) => shut.and_then(|shut| hammer::grown(bending.profile, shut, to_mm)),
                None => shut,
            };
            squares += inside.map_or(0.0, |inside| (inside.across() - nominal).powi(2));
        }
        if taken > 0.0 {
            squares += (0.02 / std::f64::consts::PI).powi(2);
        }
        squares.sqrt()
    }
}
