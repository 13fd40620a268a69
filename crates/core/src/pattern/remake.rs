//! What can be changed about the making of a finding, each with what comes of it.

use super::PatternRequest;
use crate::fault::Faults;
use crate::making::offers::{self, Routed};
use crate::making::route::Place;
use crate::making::{Changes, Made, Operation};
use crate::tool::method::Methods;
use crate::tool::workshop::Workshop;
use crate::words::length::on_ruler;
use crate::words::sentence::Choice;
use lorimant_text::{fixed, text};

impl PatternRequest {
    /// The methods it is made by: the workshop's, but for what the plan chooses itself.
    #[must_use]
    pub fn methods(&self, workshop: &Workshop) -> Methods {
        self.route.methods.over(workshop.methods)
    }

    /// The step after which it can be joined: an end of it lands on its wire then. None where nothing closes.
    #[must_use]
    pub fn joins_after(&self) -> Option<Operation> {
        let formed = self.form().ok()?;
        let does = |operation| formed.design.steps.iter().any(|step| step.kind == operation);
        // The turns of a coil lie on each other.
        if does(Operation::Coil) {
            return Some(Operation::Coil);
        }
        let closes = !formed.design.closures.is_empty();
        [Operation::Close, Operation::Loop].into_iter().find(|operation| closes && does(*operation))
    }

    /// What can be put into its route, or taken out again, each with what that changes.
    pub(super) fn making_choices(&self, workshop: &Workshop) -> Vec<Choice<Self>> {
        let put = |operation, place| Self { route: self.route.toggled(operation, place), ..self.clone() };
        let first = |wanted: &[Operation]| {
            let step = |kind: &Operation| wanted.contains(kind);
            Some(self.form().ok()?.design.steps.iter().map(|step| step.kind).find(step)).flatten()
        };
        let mut offers = vec![
            (
                text!("remake-pull-wire-straight-10-times"),
                Operation::Straighten,
                put(Operation::Straighten, Place::Before(Operation::MakeFlush)),
            ),
            (
                text!("remake-tap-with-mallet-on-both"),
                Operation::Hammer,
                put(Operation::Hammer, first(&[Operation::Part]).map_or(Place::AtTheEnd, Place::Before)),
            ),
            (
                text!("remake-tumble-for-two-hours"),
                Operation::Tumble,
                put(Operation::Tumble, first(&[Operation::Part]).map_or(Place::AtTheEnd, Place::Before)),
            ),
        ];
        if let Some(shut) = self.joins_after() {
            for (label, operation) in [
                (text!("remake-fuse-what-closes"), Operation::Fuse),
                (text!("remake-solder-what-closes"), Operation::Solder),
            ] {
                offers.push((label, operation, put(operation, Place::After(shut))));
            }
        }
        let offers = offers.into_iter().map(|(label, operation, request)| {
            let chosen = self.route.puts_in(operation);
            let (possible, effect) = offers::tried(&request, workshop);
            offers::put_in(label.to_owned(), effect, chosen, possible, request)
        });
        offers.chain(offers::of(self, workshop)).collect()
    }
}

impl Routed for PatternRequest {
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
        let does = |kind: Operation| {
            self.form().is_ok_and(|formed| formed.design.steps.iter().any(|step| step.kind == kind))
        };
        let mut asks = vec!["straightening", "flat_to", "cut"];
        asks.extend(self.form().is_ok_and(|formed| formed.is_marked()).then_some("marking"));
        asks.extend(does(Operation::Wrap).then_some("wrap_tail"));
        asks.push("hardening");
        asks.extend(does(Operation::Round).then_some("rounding"));
        asks.extend((does(Operation::Round) && does(Operation::Hammer)).then_some("hammer_first"));
        asks.extend(self.form().is_ok_and(|formed| formed.has_neck()).then_some("neck"));
        asks
    }

    fn run_in(&self, workshop: &Workshop) -> Result<Made, Faults> {
        Ok(self.finished(workshop)?.made)
    }

    fn told(&self, workshop: &Workshop) -> Result<String, Faults> {
        let finished = self.finished(workshop)?;
        let cut = on_ruler(finished.blank.flush_mm, workshop.habits.unit);
        let holds = finished.holds().map_or(String::new(), |holds| format!("; {}", holds.told()));
        let (hands, alone) = finished.made.minutes(self.blanks_n());
        let alone =
            if alone > 0.0 { text!("remake-min-unattended", alone = fixed(alone, 0)) } else { String::new() };
        Ok(text!("remake-cut-each-min-for-all", cut, holds, hands = fixed(hands, 0), alone))
    }
}
