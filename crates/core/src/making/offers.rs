//! What a maker can change about the route of one plan: methods, steps left out, an anneal before a bend.

use super::operation::Operation;
use super::{Changes, Made};
use crate::fault::Faults;
use crate::tool::method::Methods;
use crate::tool::questions::questions;
use crate::tool::workshop::Workshop;
use crate::wire::strength::WATCH_STRAIN;
use crate::words::sentence::Choice;
use lorimant_text::{fixed, text};

/// A request whose route can be changed.
pub(crate) trait Routed: Clone {
    /// What is changed about its route.
    fn changes(&self) -> &Changes;
    /// The same with its route changed otherwise.
    fn with_changes(&self, changes: Changes) -> Self;
    /// The methods it is made by.
    fn methods_in(&self, workshop: &Workshop) -> Methods;
    /// The questions where makers differ that its route asks, by their fields.
    fn asks(&self) -> Vec<&'static str>;
    /// Its route, run.
    fn run_in(&self, workshop: &Workshop) -> Result<Made, Faults>;
    /// What comes of it, in figures.
    fn told(&self, workshop: &Workshop) -> Result<String, Faults>;
}

/// What comes of a request, or why it cannot be made.
pub(crate) fn tried<R: Routed>(request: &R, workshop: &Workshop) -> (bool, String) {
    match request.told(workshop) {
        Ok(told) => (true, told),
        Err(faults) => (false, faults.0.first().map_or(String::new(), |fault| fault.message.clone())),
    }
}

/// Methods to choose for this plan, steps to leave out, bends to anneal before: each with what comes of it.
pub(crate) fn of<R: Routed>(request: &R, workshop: &Workshop) -> Vec<Choice<R>> {
    let mut offers = methods(request, workshop);
    if let Ok(made) = request.run_in(workshop) {
        offers.extend(anneals(request, &made, workshop));
        offers.extend(left_out(request, &made, workshop));
    }
    offers
}

fn methods<R: Routed>(request: &R, workshop: &Workshop) -> Vec<Choice<R>> {
    let (asks, now) = (request.asks(), request.methods_in(workshop));
    let mut offers = vec![];
    for question in questions().into_iter().filter(|question| asks.contains(&question.field)) {
        let chosen = now.chosen(question.field);
        for answer in question.answers {
            let Some(changes) = request.changes().choosing(question.field, answer.word) else { continue };
            let other = request.with_changes(changes);
            let (possible, figures) = tried(&other, workshop);
            let chosen = chosen.as_deref() == Some(answer.word);
            let effect = if possible { text!("offers-then", trade = answer.trade, figures) } else { figures };
            offers.push(Choice {
                group: Some(question.question.to_owned()),
                ..Choice::of(answer.label.to_owned(), effect, chosen, possible || chosen, other)
            });
        }
    }
    offers
}

/// A step that is put in, or taken out again once it is in: that is always possible.
pub(crate) fn put_in<R>(label: String, effect: String, chosen: bool, possible: bool, other: R) -> Choice<R> {
    Choice {
        take_back: chosen.then(|| text!("offers-dont", label)),
        ..Choice::of(label, effect, chosen, possible || chosen, other)
    }
}

/// An anneal before each bend, proposed where the bend would take most of what the metal has left.
fn anneals<R: Routed>(request: &R, made: &Made, workshop: &Workshop) -> Vec<Choice<R>> {
    let mut counted: Vec<Operation> = vec![];
    let mut offers = vec![];
    for step in &made.steps {
        counted.push(step.operation);
        let Some(used) = step.numbers.strain_used else { continue };
        let nth = u32::try_from(counted.iter().filter(|one| **one == step.operation).count()).unwrap_or(1);
        let changes = request.changes();
        let chosen = changes.anneals_before(step.operation, nth);
        let other = request.with_changes(changes.annealed_before(step.operation, nth));
        let (possible, figures) = tried(&other, workshop);
        let effect = if possible && used > WATCH_STRAIN && !chosen {
            text!("offers-as-bending-uses-stretch-metal", used = fixed(100.0 * used, 0), figures)
        } else {
            figures
        };
        offers.push(Choice {
            group: Some(text!("offers-anneal-along-way").to_owned()),
            step_n: Some(step.step_n),
            advised: used > WATCH_STRAIN && possible && !chosen,
            ..put_in(
                text!("offers-anneal-before", step = step.step_n, named = step.named),
                effect,
                chosen,
                possible,
                other,
            )
        });
    }
    offers
}

fn left_out<R: Routed>(request: &R, made: &Made, workshop: &Workshop) -> Vec<Choice<R>> {
    let changes = request.changes();
    let mut seen: Vec<Operation> = vec![];
    let mut offers = vec![];
    let out = |operation: Operation, named: &str, step_n: Option<usize>, chosen: bool| {
        let other = request.with_changes(changes.left_out(operation));
        let (possible, effect) = tried(&other, workshop);
        Choice {
            group: Some(text!("offers-leave-out").to_owned()),
            step_n,
            take_back: chosen.then(|| text!("offers-put-back", named)),
            ..Choice::of(text!("offers-leave-out-2", named), effect, chosen, possible || chosen, other)
        }
    };
    for operation in &changes.without {
        offers.push(out(*operation, operation.shown(), None, true));
    }
    for step in &made.steps {
        let own = !changes.puts_in(step.operation);
        if step.operation.may_be_left_out() && own && !seen.contains(&step.operation) {
            seen.push(step.operation);
            offers.push(out(step.operation, &step.named, Some(step.step_n), false));
        }
    }
    offers
}
