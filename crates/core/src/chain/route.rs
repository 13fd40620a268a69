//! The route of a chain: that of its rings up to cutting; then some are shut, the others opened, and it is built.

use super::{ChainPlan, ChainRequest};
use crate::fault::Faults;
use crate::making::operations::{Check, LinkRings, OpenRings, ShutRings, Tumble};
use crate::making::{Changes, Does, Made};
use crate::tool::school::{Hardening, Joint, Schools};
use crate::tool::workshop::Workshop;

impl ChainRequest {
    /// The schools it is made by: the workshop's, but that no ring is joined before it hangs in the others.
    #[must_use]
    pub fn schools(&self, workshop: &Workshop) -> Schools {
        Schools { joint: Joint::Open, ..self.ring.schools(workshop) }
    }

    /// What follows its rings' own route, for the rings of all chains.
    pub(super) fn building(&self, plan: &ChainPlan, schools: &Schools) -> Vec<Box<dyn Does>> {
        let all = |n: u32| n * self.chains_n;
        let ring_mm = self.ring.cutting.taken(self.ring.wire.size_mm).from_ring_mm;
        let others_too = self.second_ring.is_some();
        let mut route: Vec<Box<dyn Does>> = vec![];
        if plan.shut_before_n > 0 {
            route.push(Box::new(ShutRings { n: all(plan.shut_before_n), of_n: plan.rings_to_make_n }));
        }
        route.push(Box::new(OpenRings { n: all(plan.open_n), of_n: plan.rings_to_make_n }));
        route.push(Box::new(LinkRings {
            n: all(plan.open_n),
            of_n: plan.rings_to_make_n,
            ring_mm,
            others_too,
        }));
        if schools.hardening == Hardening::Tumble {
            route.push(Box::new(Tumble { hours: schools.tumble_h }));
        }
        route.push(Box::new(Check {
            text: "Lay it straight and look along it: every row lies like the one before, no gap is open, no ring hangs by one \
                   link too few. Hold it up to the light once.",
        }));
        route
    }

    /// Its route, run with what is changed about it.
    ///
    /// # Errors
    /// As [`ChainRequest::plan`]; a fault at the change, or the step, that cannot be.
    pub fn made(&self, schools: &Schools, changes: &Changes, workshop: &Workshop) -> Result<Made, Faults> {
        let plan = self.plan_in(workshop)?;
        let schools = Schools { joint: Joint::Open, ..*schools };
        let rings = self.rings()?;
        Ok(rings.made_into(&schools, changes, workshop, &|| self.building(&plan, &schools))?.made)
    }
}
