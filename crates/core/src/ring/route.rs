//! The route of a ring plan: from straightening to shutting.

use super::{RingPlan, RingRequest};
use crate::fault::Faults;
use crate::making::holds::Holds;
use crate::making::offers::{self, Routed};
use crate::making::operations::{
    Anchor, Check, Close, CutTwice, Flux, Fuse, HammerRing, Pickle, Quench, Saw, Shear, SlideOff, Snip,
    Solder, Spread, Straighten, Tumble, Wind,
};
use crate::making::route::Place;
use crate::making::workpiece::Stretch;
use crate::making::{Bench, Changes, Made, Operation, Perform, Step, Workpiece, run};
use crate::tool::coil::Winding;
use crate::tool::cutting::Method;
use crate::tool::method::{Hardening, Joint, Methods};
use crate::tool::outline::Outline;
use crate::tool::workshop::Workshop;
use crate::wire::bending::Bending;
use crate::wire::opening::{Formed, Opening};
use crate::words::length::{caliper, thickness};
use crate::words::sentence::Choice;
use lorimant_text::{fixed, text};

/// A key that spreads a coil is thicker than its wire by so much.
const KEY: f64 = 1.15;

impl RingRequest {
    /// Its operations by these methods up to cutting, before a maker changes anything.
    fn until_cut(
        &self,
        plan: &RingPlan,
        strain_before: f64,
        methods: &Methods,
    ) -> Vec<Box<dyn Perform + '_>> {
        let taken = self.cutting.taken(self.wire.size_mm);
        let stays =
            self.cutting.method == Method::Saw && methods.saw_from == crate::tool::method::SawFrom::Dowel;
        let mut route: Vec<Box<dyn Perform + '_>> = vec![
            Box::new(Straighten { by: methods.straightening, pulls_n: methods.pulls_n, stretch: None }),
            Box::new(Anchor { tail_mm: self.ends.anchor_mm, winding: self.winding, by: methods.anchor }),
            Box::new(Wind {
                rod: &self.mandrel,
                winding: self.winding,
                turns_n: plan.turns_per_coil_n,
                coils_n: plan.coils_n,
                coil_mm: plan.coil_length_mm,
                wire_mm: plan.coil_wire_mm,
                caution: self.winding.danger(),
            }),
            Box::new(SlideOff {
                rod: &self.mandrel,
                strain_before,
                tails_mm: plan.tails_wire_mm,
                ragged_mm: plan.ragged_wire_mm,
                stays,
            }),
        ];
        let (rings_n, turn_mm, caution) =
            (self.rings_n, plan.relaxed_turn_length_mm, self.cutting.method.danger());
        match self.cutting.method {
            Method::Saw => {
                let blade = self.cutting.blade_for(self.wire.size_mm).shown();
                let (from, slanted) = (methods.saw_from, methods.slanted);
                let kerf_mm = taken.from_ring_mm;
                route.push(Box::new(Saw { blade, kerf_mm, rings_n, turn_mm, from, slanted, caution }));
            }
            Method::DoubleFlush => {
                let sliver_mm = taken.between_mm;
                route.push(Box::new(CutTwice { sliver_mm, rings_n, ring_mm: turn_mm, caution }));
            }
            Method::Shears => {
                let filed_mm = taken.from_ring_mm;
                route.push(Box::new(Shear { filed_mm, rings_n, turn_mm, caution }));
            }
            Method::SingleSnip => {
                if methods.spread {
                    route.push(Box::new(Spread { key_mm: self.wire.profile().thickness_mm() * KEY }));
                }
                route.push(Box::new(Snip { filed_mm: taken.from_ring_mm, rings_n, turn_mm, caution }));
            }
        }
        route
    }

    /// What is done to rings once they are cut, where they stay single.
    fn finishing(&self, methods: &Methods) -> Vec<Box<dyn Perform>> {
        let taken = self.cutting.taken(self.wire.size_mm);
        let mut route: Vec<Box<dyn Perform>> = vec![];
        route.push(Box::new(Close { what: text!("ring-route-ring"), ring_mm: Some(taken.from_ring_mm) }));
        if let Some(to_mm) = self.hammered_mm {
            route.push(Box::new(HammerRing { to_mm }));
        }
        if methods.joint != Joint::Open {
            route.push(Box::new(Flux));
        }
        match methods.joint {
            Joint::Open => {}
            Joint::Fuse => route.push(Box::new(Fuse)),
            Joint::Solder => route.push(Box::new(Solder)),
        }
        if methods.joint != Joint::Open {
            route.push(Box::new(Quench));
            route.push(Box::new(Pickle));
        }
        if methods.hardening == Hardening::Tumble {
            route.push(Box::new(Tumble { hours: methods.tumble_h }));
        }
        route.push(Box::new(Check { text: text!("ring-route-lay-one-on-drawing-ends") }));
        route
    }

    /// Its route, run with what is changed about it, here or in the request itself: every operation with its numbers, and
    /// the workpiece after each.
    ///
    /// ```
    /// use lorimant_core::making::Changes;
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::tool::method::Methods;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0237, Temper::Soft);
    /// let request = RingRequest::new(wire, Mandrel::round(5.0), 100);
    /// let made = request.made(&Methods::default(), &Changes::default(), &Workshop::default()).unwrap();
    /// // What the route ends with is what the plan says.
    /// let inside = made.finished().unwrap().inside_mm.unwrap();
    /// assert!((inside - request.plan().unwrap().ring_inside_diameter_mm).abs() < 1e-12);
    /// ```
    ///
    /// # Errors
    /// As [`RingRequest::plan`]; a fault at the change, or the step, that cannot be.
    pub fn made(&self, methods: &Methods, changes: &Changes, workshop: &Workshop) -> Result<Made, Faults> {
        Ok(self.made_into(methods, changes, workshop, &|| self.finishing(methods))?.made)
    }

    /// The finished rings of this workshop: what it plans, as it comes out at the end of the route that is run.
    ///
    /// # Errors
    /// As [`RingRequest::made`].
    pub fn finished(&self, workshop: &Workshop) -> Result<FinishedRings, Faults> {
        let methods = self.methods(workshop);
        self.made_into(&methods, &Changes::default(), workshop, &|| self.finishing(&methods))
    }

    /// The same, with something else done to the rings once they are cut.
    pub(crate) fn made_into(
        &self,
        methods: &Methods,
        changes: &Changes,
        workshop: &Workshop,
        then: &dyn Fn() -> Vec<Box<dyn Perform>>,
    ) -> Result<FinishedRings, Faults> {
        methods.check().map_err(|faults| faults.within("methods"))?;
        let changes = if changes.is_empty() { &self.route } else { changes };
        let bench = Bench { wire: &self.wire, workshop, plier: None, pieces_n: self.rings_n, coiled: true };
        // What is done to the wire before it is wound says how it springs.
        let mut spent = self.spent();
        loop {
            let plan = self.plan_at(workshop, spent)?;
            let mut operations = self.until_cut(&plan, spent, methods);
            operations.extend(then().into_iter().map(|does| does as Box<dyn Perform + '_>));
            let route = changes.apply(operations)?;
            let made = run(&route, Workpiece::of(&self.wire, plan.wire_length_mm), &bench)?;
            let before = made.steps.iter().take_while(|step| step.operation != Operation::Wind).last();
            let wound_at =
                before.and_then(|step| step.workpiece.stretches.first()).map_or(spent, |s| s.strain);
            // What is done before winding does not depend on the plan, so the second round agrees.
            if (wound_at - spent).abs() < 1e-12 {
                return Ok(self.read_off(plan, made, spent));
            }
            spent = wound_at;
        }
    }
}

/// Rings as they are when they are finished, and how they came to be.
#[derive(Debug, Clone)]
pub struct FinishedRings {
    /// The plan, its ring as it is at the end of the route.
    pub plan: RingPlan,
    /// How the wire bent when it was wound.
    pub bending: Bending,
    /// What one ring holds.
    pub holds: Option<Holds>,
    /// The route that was run.
    pub made: Made,
}

impl RingRequest {
    /// What a plan expects, read off the workpiece that the route ends with.
    fn read_off(&self, plan: RingPlan, made: Made, spent: f64) -> FinishedRings {
        let bending = Bending::after(&self.wire, spent);
        let mut plan = plan;
        let mut holds = None;
        if let Some(last) = made.finished() {
            holds = self.holds(last);
            if let (Some(inside_mm), Some(stretch)) = (last.inside_mm, last.stretches.first()) {
                let wide = self.in_its_plane(stretch).0;
                plan.ring_inside_diameter_mm = inside_mm;
                plan.ring_inside_short_mm = last.outline.map_or(inside_mm, Outline::short_across);
                plan.ring_outside_diameter_mm = inside_mm + 2.0 * wide;
                plan.aspect_ratio = inside_mm / wide;
            }
        }
        plan.opening_force_n = holds.map_or(0.0, |holds| holds.pulls_open_n);
        let most = |of: fn(&Step) -> f64| made.steps.iter().map(of).fold(0.0, f64::max);
        plan.strain_used = most(|step| step.numbers.strain_used.unwrap_or(0.0));
        plan.hand_effort = most(|step| step.takes.effort);
        FinishedRings { plan, bending, holds, made }
    }

    /// The methods it is made by: the workshop's as far as its wire allows, but for what the plan says itself.
    #[must_use]
    pub fn methods(&self, workshop: &Workshop) -> Methods {
        let usual = workshop.methods_for(self.pulls_n);
        let joint = usual.joint_of(&self.wire);
        self.route.methods.over(Methods { joint, ..usual })
    }

    /// What one ring holds after everything that was done to it: the flow stress of its strain now, its section now.
    ///
    /// Open, one hinge opposite the gap: what of `Mp/R` [`Formed::opening`] says. Joined, four hinges: `4·Mp/R`.
    pub fn holds(&self, workpiece: &Workpiece) -> Option<Holds> {
        let (collapse_n, opening) = self.gives(workpiece)?;
        Some(opening.map_or(Holds::closed(collapse_n), |opening| Holds::open(collapse_n, opening)))
    }

    /// Its plastic collapse, N, and what of that opens it; nothing where it is joined.
    pub(super) fn gives(&self, workpiece: &Workpiece) -> Option<(f64, Option<Opening>)> {
        let (stretch, inside) = (workpiece.stretches.first()?, workpiece.inside_mm?);
        let strain = stretch.strain - workpiece.softer_at_side;
        let flow = Bending::after(&self.wire, strain).flow.flow_stress(0.0);
        let moment = flow * self.wire.profile().hammered_modulus_mm3(stretch.thickness_mm);
        let short = workpiece.outline.map_or(inside, Outline::short_across);
        let radius = short / 2.0 + self.in_its_plane(stretch).1;
        if workpiece.joined.is_some() {
            return Some((4.0 * moment / radius, None));
        }
        let outline = workpiece.outline.unwrap_or(Outline::Round { diameter: inside });
        let side_mm = outline.side_radius().map(|side| side + self.in_its_plane(stretch).1);
        let formed = Formed::of(&self.wire, strain, side_mm, stretch.thickness_mm);
        Some((moment / radius, Some(formed.opening(radius, moment))))
    }

    /// How wide its wire is in the plane of the ring, and how far its middle lies from the inside, mm.
    pub(super) fn in_its_plane(&self, stretch: &Stretch) -> (f64, f64) {
        let profile = self.wire.profile();
        if stretch.thickness_mm < profile.thickness_mm() - 1e-9 {
            return (stretch.width_mm, stretch.width_mm / 2.0);
        }
        (profile.thickness_mm(), profile.centroid_mm())
    }

    /// What can be put into its route, or taken out again, each with what that changes.
    pub(super) fn making_choices(&self, workshop: &Workshop) -> Vec<Choice<Self>> {
        let h = self.wire.profile().thickness_mm();
        let thin = (0.8 * h * 20.0).round() / 20.0;
        let pulls = Self { pulls_n: if self.pulls_n > 0 { 0 } else { 10 }, ..self.clone() };
        let hammered = Self { hammered_mm: self.hammered_mm.map_or(Some(thin), |_| None), ..self.clone() };
        let after = if self.hammered_mm.is_some() { Operation::Hammer } else { Operation::Close };
        let put =
            |operation, place: Place| Self { route: self.route.toggled(operation, place), ..self.clone() };
        let unit = workshop.habits.unit;
        let to = thickness(self.hammered_mm.unwrap_or(thin), unit);
        [
            (text!("ring-route-pull-wire-straight-10-times").to_owned(), self.pulls_n > 0, pulls),
            self.offer(
                text!("ring-route-anneal-wire-before-winding"),
                Operation::Anneal,
                put(Operation::Anneal, Place::Before(Operation::Wind)),
            ),
            (text!("ring-route-hammer-each-ring", to), self.hammered_mm.is_some(), hammered),
            self.offer(
                text!("ring-route-fuse-joint"),
                Operation::Fuse,
                put(Operation::Fuse, Place::After(after)),
            ),
            self.offer(
                text!("ring-route-solder-joint"),
                Operation::Solder,
                put(Operation::Solder, Place::After(after)),
            ),
            self.offer(
                text!("ring-route-tumble-for-two-hours"),
                Operation::Tumble,
                put(Operation::Tumble, Place::AtTheEnd),
            ),
        ]
        .into_iter()
        .map(|(label, chosen, request)| {
            let (possible, effect) = offers::tried(&request, workshop);
            offers::put_in(label, effect, chosen, possible, request)
        })
        .chain(offers::of(self, workshop))
        .collect()
    }

    fn offer(&self, label: &str, operation: Operation, request: Self) -> (String, bool, Self) {
        (label.to_owned(), self.route.puts_in(operation), request)
    }
}

impl Routed for RingRequest {
    fn changes(&self) -> &Changes {
        &self.route
    }

    fn with_changes(&self, route: Changes) -> Self {
        Self { route, ..self.clone() }
    }

    fn methods_in(&self, workshop: &Workshop) -> Methods {
        self.methods(workshop)
    }

    fn asks(&self) -> Vec<&'static str> {
        let cutting: &[&str] = match self.cutting.method {
            Method::Saw => &["saw_from", "slanted"],
            Method::SingleSnip => &["spread"],
            Method::DoubleFlush | Method::Shears => &[],
        };
        let anchor: &[&str] = if self.winding == Winding::Hand { &["anchor"] } else { &[] };
        [anchor, cutting, &["joint", "hardening"]].concat()
    }

    fn run_in(&self, workshop: &Workshop) -> Result<Made, Faults> {
        Ok(self.finished(workshop)?.made)
    }

    fn told(&self, workshop: &Workshop) -> Result<String, Faults> {
        let finished = self.finished(workshop)?;
        let ring = caliper(finished.plan.ring_inside_diameter_mm, workshop.habits.unit);
        let holds = finished.holds.map_or(String::new(), |holds| format!(", {}", holds.told()));
        let (hands, alone) = finished.made.minutes(self.rings_n);
        let alone = if alone > 0.0 {
            text!("ring-route-min-unattended", alone = fixed(alone, 0))
        } else {
            String::new()
        };
        Ok(text!("ring-route-ring-min-for-all", ring, holds, hands = fixed(hands, 0), alone))
    }
}

impl Winding {
    /// What can hurt while winding this way, in a line.
    #[must_use]
    pub fn danger(self) -> &'static str {
        match self {
            Self::Hand => {
                text!("ring-route-end-wire-whips-round-wear")
            }
            Self::PinVise => {
                text!("ring-route-keep-tension-until-end-clipped")
            }
            Self::SlowDrill => {
                text!("ring-route-turning-rod-pulls-in-wire")
            }
        }
    }
}

impl Method {
    /// What can hurt while cutting this way, in a line.
    pub(crate) fn danger(self) -> &'static str {
        match self {
            Self::Saw => {
                text!("ring-route-wear-glasses-apron-under-pin")
            }
            Self::DoubleFlush => {
                text!("ring-route-every-snip-throws-sliver-wear")
            }
            Self::Shears => text!("ring-route-rings-jump-off-tips-wear"),
            Self::SingleSnip => {
                text!("ring-route-cut-ends-fly-pinched-ends")
            }
        }
    }
}
