//! A route, and what a maker changes about it for one plan.

use serde::{Deserialize, Serialize};

use super::operation::Operation;
use super::operations::{
    Anneal, Flux, Fuse, HammerRing, Pickle, Quench, Solder, Stiffen, Straighten, Tumble,
};
use super::run::Perform;
use crate::fault::{Fault, Faults, Span};
use crate::tool::method::{MethodChanges, PULL_STRAIN, Straightening};
use lorimant_text::{Text, text};

/// An operation that is put into a route.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Inserted {
    /// Which: anneal, straighten, hammer, flux, fuse, solder, quench, pickle or tumble.
    pub operation: Operation,
    /// The operation it stands before, the first of that word; at the end, before the check, if neither is said.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub before: Option<Operation>,
    /// Which of that word, from 1; the first if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub before_n: Option<u32>,
    /// The operation it stands after, the last of that word.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub after: Option<Operation>,
    /// Pulls, where it is to be straightened; 10 if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub pulls_n: Option<u32>,
    /// Thickness a ring is hammered to, mm; stiffened with a mallet if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub to_mm: Option<f64>,
    /// Hours in the barrel; 2 if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub hours: Option<f64>,
}

/// What a maker changes about the route of one plan.
#[derive(Debug, Clone, PartialEq, Default, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Changes {
    /// Operations that are left out.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub without: Vec<Operation>,
    /// Operations that are put in, in this order.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub with: Vec<Inserted>,
    /// Methods that this plan chooses otherwise than its workshop.
    #[serde(alias = "schools", skip_serializing_if = "MethodChanges::is_empty")]
    pub methods: MethodChanges,
}

/// Most changes to one route.
const MOST: usize = 100;
/// Most anneals of one piece; grain grows with each.
const MOST_ANNEALS: usize = 10;

impl Inserted {
    /// An operation as it usually is, at the end.
    #[must_use]
    pub fn of(operation: Operation) -> Self {
        Self { operation, before: None, before_n: None, after: None, pulls_n: None, to_mm: None, hours: None }
    }

    const PULLS: Span =
        Span { noun: Text::named("making-route-number-pulls"), unit: "", least: 1.0, most: 60.0 };
    const THIN: Span =
        Span { noun: Text::named("making-route-thickness"), unit: " mm", least: 0.05, most: 13.0 };
    const HOURS: Span =
        Span { noun: Text::named("making-route-time-in-tumbler"), unit: " h", least: 0.25, most: 24.0 };

    fn check(&self, at: &str, faults: &mut Faults) {
        if let Some(n) = self.pulls_n {
            faults.keep(Self::PULLS.check(&format!("{at}.pulls_n"), f64::from(n)));
        }
        if let Some(mm) = self.to_mm {
            faults.keep(Self::THIN.check(&format!("{at}.to_mm"), mm));
        }
        if let Some(hours) = self.hours {
            faults.keep(Self::HOURS.check(&format!("{at}.hours"), hours));
        }
        let only = [
            ("pulls_n", self.pulls_n.is_some(), Operation::Straighten),
            ("to_mm", self.to_mm.is_some(), Operation::Hammer),
            ("hours", self.hours.is_some(), Operation::Tumble),
        ];
        for (field, message, of) in only {
            if message && self.operation != of {
                let message =
                    text!("making-route-does-not-apply-only", field, operation = self.operation, of);
                faults.add(Fault::new(format!("{at}.{field}"), message));
            }
        }
        if self.before_n.is_some() && self.before.is_none() {
            let message = text!("making-route-enter-operation-this-comes-before");
            faults.add(Fault::new(format!("{at}.before_n"), message));
        }
        if self.before.is_some() && self.after.is_some() {
            faults.add(Fault::new(format!("{at}.after"), text!("making-route-enter-before-or-after-not")));
        }
    }

    fn does(&self) -> Result<Box<dyn Perform>, String> {
        Ok(match (self.operation, self.to_mm) {
            (Operation::Anneal, _) => Box::new(Anneal),
            (Operation::Straighten, _) => Box::new(Straighten {
                by: Straightening::Pulls,
                pulls_n: self.pulls_n.unwrap_or(10),
                stretch: None,
            }),
            (Operation::Hammer, Some(to_mm)) => Box::new(HammerRing { to_mm }),
            (Operation::Hammer, None) => {
                Box::new(Stiffen { what: text!("making-route-piece"), span: None, hint: "" })
            }
            (Operation::Flux, _) => Box::new(Flux),
            (Operation::Fuse, _) => Box::new(Fuse),
            (Operation::Solder, _) => Box::new(Solder),
            (Operation::Quench, _) => Box::new(Quench),
            (Operation::Pickle, _) => Box::new(Pickle),
            (Operation::Tumble, _) => Box::new(Tumble { hours: self.hours.unwrap_or(2.0) }),
            (other, _) => {
                return Err(text!("making-route-cannot-be-added-on-its", other));
            }
        })
    }
}

/// Where an operation is put.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Place {
    /// Before the first of a word.
    Before(Operation),
    /// After the last of a word.
    After(Operation),
    /// At the end, before the check.
    AtTheEnd,
}

impl Changes {
    /// Whether an operation is put in.
    #[must_use]
    pub fn puts_in(&self, operation: Operation) -> bool {
        self.with.iter().any(|one| one.operation == operation)
    }

    /// The same with an operation put in, or taken out again where it is in. What is joined by heat is fluxed
    /// before, quenched and pickled after it.
    ///
    /// ```
    /// use lorimant_core::making::route::Place;
    /// use lorimant_core::making::{Changes, Operation};
    ///
    /// let tumbled = Changes::default().toggled(Operation::Tumble, Place::AtTheEnd);
    /// assert!(tumbled.puts_in(Operation::Tumble));
    /// assert!(tumbled.toggled(Operation::Tumble, Place::AtTheEnd).is_empty());
    /// ```
    #[must_use]
    pub fn toggled(&self, operation: Operation, place: Place) -> Self {
        let mut changes = self.clone();
        let heat = [Operation::Fuse, Operation::Solder];
        let around = [Operation::Flux, Operation::Quench, Operation::Pickle];
        let hot = heat.contains(&operation);
        // A joint is joined one way.
        let gone = |one: &Inserted| {
            one.operation == operation
                || hot && (heat.contains(&one.operation) || around.contains(&one.operation))
        };
        changes.with.retain(|one| !gone(one));
        if self.puts_in(operation) {
            return changes;
        }
        let (before, after) = match place {
            Place::Before(before) => (Some(before), None),
            Place::After(after) => (None, Some(after)),
            Place::AtTheEnd => (None, None),
        };
        let put = |operation, after| Inserted { before, after, ..Inserted::of(operation) };
        // Before what comes last, the barrel.
        let at = changes.with.iter().position(|one| one.operation == Operation::Tumble).filter(|_| hot);
        let at = at.unwrap_or(changes.with.len());
        let put_in = if hot {
            let follows = |operation, after| Inserted { after: Some(after), ..Inserted::of(operation) };
            vec![
                put(Operation::Flux, after),
                follows(operation, Operation::Flux),
                follows(Operation::Quench, operation),
                follows(Operation::Pickle, Operation::Quench),
            ]
        } else {
            vec![put(operation, after)]
        };
        changes.with.splice(at..at, put_in);
        changes
    }

    /// Whether nothing is changed.
    #[must_use]
    pub fn is_empty(&self) -> bool {
        self.without.is_empty() && self.with.is_empty() && self.methods.is_empty()
    }

    /// Whether it is annealed before the nth operation of a word.
    #[must_use]
    pub fn anneals_before(&self, operation: Operation, nth: u32) -> bool {
        self.with.iter().any(|one| {
            one.operation == Operation::Anneal
                && one.before == Some(operation)
                && one.before_n.unwrap_or(1) == nth
        })
    }

    /// The same annealed before the nth operation of a word, or not annealed there where it is.
    ///
    /// ```
    /// use lorimant_core::making::{Changes, Operation};
    ///
    /// let once = Changes::default().annealed_before(Operation::Bend, 2);
    /// assert!(once.anneals_before(Operation::Bend, 2) && !once.anneals_before(Operation::Bend, 1));
    /// assert!(once.annealed_before(Operation::Bend, 2).is_empty());
    /// ```
    #[must_use]
    pub fn annealed_before(&self, operation: Operation, nth: u32) -> Self {
        let mut changes = self.clone();
        if self.anneals_before(operation, nth) {
            changes.with.retain(|one| {
                one.operation != Operation::Anneal
                    || one.before != Some(operation)
                    || one.before_n.unwrap_or(1) != nth
            });
        } else {
            let before_n = (nth > 1).then_some(nth);
            let put = Inserted { before: Some(operation), before_n, ..Inserted::of(Operation::Anneal) };
            changes.with.push(put);
        }
        changes
    }

    /// The same with an operation left out, or done again where it is left out.
    #[must_use]
    pub fn left_out(&self, operation: Operation) -> Self {
        let mut changes = self.clone();
        if changes.without.contains(&operation) {
            changes.without.retain(|one| *one != operation);
        } else {
            changes.without.push(operation);
        }
        changes
    }

    /// The same with an answer chosen to a question where makers differ.
    #[must_use]
    pub fn choosing(&self, field: &str, word: &str) -> Option<Self> {
        Some(Self { methods: self.methods.choosing(field, word)?, ..self.clone() })
    }

    /// Strain spent in wire when it is wound, where so much was spent as sold and straightening spends so much more: an
    /// anneal before winding gives it back, further pulls add to it.
    #[must_use]
    pub fn strain_when_wound(&self, sold: f64, pulled: f64) -> f64 {
        let early = [Operation::Straighten, Operation::Anchor, Operation::Wind];
        let first = |one: &&Inserted| one.before == Some(Operation::Straighten);
        let then = |one: &&Inserted| {
            !first(one)
                && (one.before.is_some_and(|before| early.contains(&before))
                    || one.after.is_some_and(|after| early[..2].contains(&after)))
        };
        let does = |spent: f64, one: &Inserted| match one.operation {
            Operation::Anneal => 0.0,
            Operation::Straighten => spent + PULL_STRAIN * f64::from(one.pulls_n.unwrap_or(10)),
            _ => spent,
        };
        let straightened = self.with.iter().filter(first).fold(sold, does) + pulled;
        self.with.iter().filter(then).fold(straightened, does)
    }

    /// Changes a route.
    ///
    /// # Errors
    /// A fault at each change that cannot be: what makes the piece left out, an unknown place, too many.
    pub fn apply<'a>(&self, route: Vec<Box<dyn Perform + 'a>>) -> Result<Vec<Box<dyn Perform + 'a>>, Faults> {
        let mut faults = Faults::none();
        let n = self.with.len() + self.without.len();
        if n > MOST {
            let message = text!("making-route-changes-too-many-for-one", n, MOST);
            #[expect(clippy::cast_precision_loss, reason = "100")]
            return Err(Fault::new("route", message).limit(MOST as f64).into());
        }
        let mut route = route;
        for (i, operation) in self.without.iter().enumerate() {
            let at = format!("route.without.{i}");
            if !operation.may_be_left_out() {
                let message = text!("making-route-without-this-would-be-another", operation);
                faults.add(Fault::new(at, message));
            } else if route.iter().any(|does| does.operation() == *operation) {
                route.retain(|does| does.operation() != *operation);
            } else {
                faults.add(Fault::new(at, text!("making-route-there-no-in-this-route", operation)));
            }
        }
        for (i, inserted) in self.with.iter().enumerate() {
            let at = format!("route.with.{i}");
            inserted.check(&at, &mut faults);
            let Some(place) = faults.keep(place(&route, inserted, &at)) else { continue };
            if let Some(does) = faults.keep(inserted.does().map_err(|message| Fault::new(at, message))) {
                route.insert(place, does);
            }
        }
        let anneals = route.iter().filter(|does| does.operation() == Operation::Anneal).count();
        if anneals > MOST_ANNEALS {
            let message = text!("making-route-anneals-too-many-grain-grows", anneals, MOST_ANNEALS);
            #[expect(clippy::cast_precision_loss, reason = "10")]
            faults.add(Fault::new("route.with", message).limit(MOST_ANNEALS as f64));
        }
        faults.into_result()?;
        Ok(route)
    }
}

/// Where in the route a change stands.
fn place(route: &[Box<dyn Perform + '_>], inserted: &Inserted, at: &str) -> Result<usize, Fault> {
    let missing = |field: &str, operation: Operation| {
        Fault::new(format!("{at}.{field}"), text!("making-route-there-no-in-this-route-2", operation))
    };
    match (inserted.before, inserted.after) {
        (Some(before), _) => {
            let all: Vec<usize> = (0..route.len()).filter(|i| route[*i].operation() == before).collect();
            let nth = inserted.before_n.unwrap_or(1).max(1);
            all.get(nth as usize - 1).copied().ok_or_else(|| match all.len() {
                0 => missing("before", before),
                n => {
                    let message =
                        text!("making-route-this-route-has-not", before, n = text!("count-time", n), nth);
                    Fault::new(format!("{at}.before_n"), message)
                }
            })
        }
        (_, Some(after)) => route
            .iter()
            .rposition(|does| does.operation() == after)
            .map(|place| place + 1)
            .ok_or_else(|| missing("after", after)),
        (None, None) => {
            let check = route.iter().rposition(|does| does.operation() == Operation::Check);
            Ok(check.unwrap_or(route.len()))
        }
    }
}
