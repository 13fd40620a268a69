//! The route of a chain: that of its rings up to cutting; then some are shut, the others opened, and it is built.

use super::{ChainPlan, ChainRequest};
use crate::fault::Faults;
use crate::making::holds::Holds;
use crate::making::operations::{Check, LinkRings, OpenRings, ShutRings, Tumble};
use crate::making::{Changes, Perform};
use crate::ring::route::FinishedRings;
use crate::ring::{RingPlan, RingRequest};
use crate::tool::method::{Hardening, Joint, Methods};
use crate::tool::workshop::Workshop;
use lorimant_text::text;

impl ChainRequest {
    /// The methods it is made by: the workshop's, but that no ring is joined before it hangs in the others.
    #[must_use]
    pub fn methods(&self, workshop: &Workshop) -> Methods {
        Methods { joint: Joint::Open, ..self.ring.methods(workshop) }
    }

    /// What follows its rings' own route, for the rings of all chains.
    pub(super) fn building(&self, plan: &ChainPlan, methods: &Methods) -> Vec<Box<dyn Perform>> {
        let all = |n: u32| n * self.chains_n;
        let ring_mm = self.ring.cutting.taken(self.ring.wire.size_mm).from_ring_mm;
        let others_too = self.second_ring.is_some();
        let mut route: Vec<Box<dyn Perform>> = vec![];
        let as_built = methods.close_while_building && plan.pre_closed_n > 0;
        if plan.pre_closed_n > 0 && !as_built {
            route.push(Box::new(ShutRings { n: all(plan.pre_closed_n), of_n: plan.rings_to_make_n }));
        }
        route.push(Box::new(OpenRings { n: all(plan.open_n), of_n: plan.rings_to_make_n }));
        route.push(Box::new(LinkRings {
            n: all(plan.open_n),
            of_n: plan.rings_to_make_n,
            ring_mm,
            others_too,
            shut_n: if as_built { all(plan.pre_closed_n) } else { 0 },
        }));
        if methods.hardening == Hardening::Tumble {
            route.push(Box::new(Tumble { hours: methods.tumble_h }));
        }
        route.push(Box::new(Check { text: text!("chain-route-lay-straight-look-along-every") }));
        route
    }

    /// The finished chain of this workshop: its rings counted, wound, cut and built into it.
    ///
    /// # Errors
    /// As [`ChainRequest::plan`]; a fault at the change, or the step, that cannot be.
    pub fn finished(&self, workshop: &Workshop) -> Result<FinishedChain, Faults> {
        let mut plan = self.counted_in(workshop)?;
        let methods = self.methods(workshop);
        let built = |rings: &RingRequest| {
            rings.made_into(&methods, &Changes::default(), workshop, &|| self.building(&plan, &methods))
        };
        let rings = built(&self.rings_of(&plan))?;
        let second = self.second_of(&plan).map(|second| Ok::<_, Faults>((built(&second)?, second)));
        let second = second.transpose().map_err(|faults: Faults| faults.within("second_ring"))?;
        // A place gives where its weaker rings do, as many as share the load there.
        let all = [rings.holds, second.as_ref().and_then(|(finished, _)| finished.holds)];
        let weakest = all.into_iter().flatten().min_by(|a, b| a.pulls_open_n.total_cmp(&b.pulls_open_n));
        let holds = weakest.map_or(Holds::default(), |holds| holds.times(f64::from(plan.strands_n)));
        let clasp = self.clasp.as_ref().and_then(|clasp| clasp.finished(workshop).ok()?.holds());
        plan.holds(holds, clasp, self.clasp.is_some());
        let second = second.map(|(finished, request)| (request, finished.plan));
        Ok(FinishedChain { plan, rings, second, holds })
    }

    /// How its first part's rings are made, as many as its plan takes.
    pub(super) fn rings_of(&self, plan: &ChainPlan) -> RingRequest {
        RingRequest { rings_n: plan.rings_to_make_n - plan.second_to_make_n, ..self.ring.clone() }
    }

    /// The same of its second part; none where all its rings are alike.
    pub(super) fn second_of(&self, plan: &ChainPlan) -> Option<RingRequest> {
        let second = self.second_ring.as_ref()?;
        Some(RingRequest { rings_n: plan.second_to_make_n.max(1), ..second.clone() })
    }
}

/// A chain as it is finished, and how it came to be.
#[derive(Debug, Clone)]
pub struct FinishedChain {
    /// The plan, with what it holds.
    pub plan: ChainPlan,
    /// Its rings, and the route that was run, the building of the chain included.
    pub rings: FinishedRings,
    /// The rings of its second part, where it has any of their own.
    pub second: Option<(RingRequest, RingPlan)>,
    /// What its rings hold, as many as share the load.
    pub holds: Holds,
}
