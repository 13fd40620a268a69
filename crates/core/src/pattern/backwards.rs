//! From a wanted result to the dimensions that give it: a height, a width, a blank, a lost piece.

use kurbo::common::solve_itp;
use serde::{Deserialize, Serialize};

use super::form::FormedPiece;
use super::sentence::value_text;
use super::{PatternRequest, Unit};
use crate::fault::{Fault, Faults, Span};
use crate::tool::workshop::Workshop;
use crate::words::length::{LengthUnit, both, caliper};
use crate::words::words;
use lorimant_text::{Text, text};

words! {
    /// A measure of a finished piece that can be asked for.
    pub enum Measure ("measure") {
        /// Height over the wire.
        Height = "height";
        /// Width over the wire.
        Width = "width";
        /// The blank, exact.
        Blank = "blank";
    }
}

/// A result wanted.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Target {
    /// Of what.
    pub measure: Measure,
    /// How much, mm.
    pub mm: f64,
}

/// A piece that comes out as wanted.
#[derive(Debug, Clone, PartialEq)]
pub struct Fitted {
    /// The piece.
    pub request: PatternRequest,
    /// What gave way for it: `front 12.4 mm instead of 11 mm`.
    pub changes: Vec<String>,
}

const WANTED: Span =
    Span { noun: Text::named("backwards-size-wanted"), unit: " mm", least: 0.5, most: 2000.0 };
/// Less than this is no change to a maker, mm.
const SEEN_MM: f64 = 0.005;
/// How near a result is taken for met, mm.
const MET_MM: f64 = 1e-7;

impl PatternRequest {
    /// A measure of the piece this request makes, mm.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::pattern::backwards::Measure;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// assert!(hook.measure(Measure::Blank).unwrap() > hook.measure(Measure::Height).unwrap());
    /// ```
    ///
    /// # Errors
    /// As [`PatternRequest::form`].
    pub fn measure(&self, measure: Measure) -> Result<f64, Faults> {
        let formed = self.form()?;
        Ok(match measure {
            Measure::Height => formed.extent.size().y,
            Measure::Width => formed.extent.size().x,
            Measure::Blank => formed.blank(LengthUnit::Mm).exact_mm,
        })
    }

    /// The parameter that gives way for a measure.
    pub fn gives_way(&self, measure: Measure) -> &'static str {
        let free = self.kind.0.free;
        match measure {
            Measure::Height => free.height,
            Measure::Width => free.width,
            Measure::Blank => free.blank,
        }
    }

    /// The same piece with its free dimensions solved, so that every target is met at once.
    ///
    /// Each target moves its own free parameter; where they act on each other they are solved in
    /// turn until all stand.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::pattern::backwards::{Measure, Target};
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let wanted = hook.measure(Measure::Height).unwrap() + 2.0;
    /// let taller = hook.fitted(&[Target { measure: Measure::Height, mm: wanted }]).unwrap();
    /// assert!((taller.measure(Measure::Height).unwrap() - wanted).abs() < 1e-6);
    /// ```
    ///
    /// # Errors
    /// A fault at `targets[i].mm` when a target is out of limits, shares its free parameter with
    /// another, or cannot be reached; the sentence says how far it can go.
    pub fn fitted(&self, targets: &[Target]) -> Result<Self, Faults> {
        self.check()?;
        if targets.is_empty() {
            return Err(Fault::new("targets", text!("backwards-enter-height-width-or-cut")).into());
        }
        let mut taken: Vec<&str> = vec![];
        for (i, target) in targets.iter().enumerate() {
            WANTED.check(&format!("targets[{i}].mm"), target.mm)?;
            let name = self.gives_way(target.measure);
            if taken.contains(&name) {
                let label = self.kind.0.parameter(name).map_or(name, |p| p.label.as_str());
                let message =
                    text!("backwards-cannot-be-changed-too-already", measure = target.measure.shown(), label);
                return Err(Fault::new(format!("targets[{i}].measure"), message).into());
            }
            taken.push(name);
        }
        let mut request = self.clone();
        for _ in 0..40 {
            let mut worst: f64 = 0.0;
            for (i, target) in targets.iter().enumerate() {
                request = request.solved(i, target)?;
            }
            for target in targets {
                worst = worst.max((request.measure(target.measure)? - target.mm).abs());
            }
            if worst < MET_MM * 10.0 {
                return Ok(request);
            }
        }
        let message = if targets.len() > 1 {
            text!("backwards-these-sizes-contradict-each-other")
        } else {
            text!("backwards-this-size-cannot-be-reached")
        };
        Err(Fault::new("targets", message).into())
    }

    /// The same with this workshop's tools: what gave way is named, and what none of its tools gives is refused.
    ///
    /// # Errors
    /// As [`PatternRequest::fitted`]; and a fault at `targets[i].mm` where the dimension that gave way for it is bent
    /// round a size that no tool of the workshop gives.
    pub fn fitted_with(&self, targets: &[Target], workshop: &Workshop) -> Result<Fitted, Faults> {
        let fitted = self.fitted(targets)?;
        let (before, finished) = (self.form()?, fitted.finished(workshop)?);
        let after = &finished.formed;
        let inside = |formed: &FormedPiece, i: usize| formed.design.segments.get(i)?.course.tightest_mm();
        let moved = |i: usize, by: &FormedPiece| match (inside(&before, i), inside(by, i)) {
            (Some(old), Some(new)) => (new - old).abs() >= SEEN_MM,
            (old, new) => old.is_some() != new.is_some(),
        };
        let steps = finished.made.steps.iter();
        let mut unfit = steps.filter_map(|step| Some((*step.segments.first()?, step.unfit.clone()?)));
        let misfit = unfit.find(|(i, _)| moved(*i, after));
        // A workshop that lists no tools yet is not held to them.
        let tools = !workshop.rods.is_empty() || !workshop.pliers.is_empty();
        if let Some((bend, misfit)) = misfit.filter(|_| tools) {
            // The target whose own dimension moves this bend, where one does so by itself.
            let moves_it = |target: &Target| {
                let name = self.gives_way(target.measure);
                self.with(name, fitted.value(name)).form().is_ok_and(|alone| moved(bend, &alone))
            };
            let i = targets.iter().position(moves_it).unwrap_or(targets.len() - 1);
            return Err(Fault::new(format!("targets[{i}].mm"), misfit).into());
        }
        let changes = self.changed_to(&fitted, workshop.habits.unit);
        Ok(Fitted { changes, request: fitted })
    }

    /// Its dimensions that another request has otherwise: `back 15.7 mm instead of 19 mm`.
    pub(super) fn changed_to(&self, other: &Self, unit: LengthUnit) -> Vec<String> {
        let changes = self.kind.0.parameters.iter().filter_map(|parameter| {
            let (old, new) = (self.value(parameter.name), other.value(parameter.name));
            let text = |value| value_text(parameter, value, unit);
            // What comes of it is told as a caliper reads it.
            let comes_to = |value| match parameter.unit {
                Unit::Mm => caliper(value, unit),
                _ => text(value),
            };
            ((new - old).abs() >= SEEN_MM).then(|| {
                text!("backwards-instead", label = parameter.label, new = comes_to(new), old = text(old))
            })
        });
        changes.collect()
    }

    fn with(&self, name: &str, value: f64) -> Self {
        let mut request = self.clone();
        request.parameters.insert(name.to_owned(), value);
        request
    }

    /// One target met by its free parameter, within the parameter's limits.
    fn solved(&self, i: usize, target: &Target) -> Result<Self, Faults> {
        let name = self.gives_way(target.measure);
        let Some(parameter) = self.kind.0.parameter(name) else { return Ok(self.clone()) };
        let off = |value: f64| self.with(name, value).measure(target.measure).map(|mm| mm - target.mm);
        let (mut low, mut high) = (parameter.min, parameter.max);
        // Where the limits themselves cannot be made, start from what can and widen.
        let here = self.value(name).clamp(low, high);
        low = self.last_possible(name, here, low);
        high = self.last_possible(name, here, high);
        let (off_low, off_here, off_high) = (off(low)?, off(here)?, off(high)?);
        for (end, off) in [(here, off_here), (low, off_low), (high, off_high)] {
            if off.abs() < MET_MM {
                return Ok(self.with(name, end));
            }
        }
        // Not every size grows steadily with what it gives way by: on either side of the present one it may be met.
        let (low, off_low, high, off_high) = if off_low * off_here < 0.0 {
            (low, off_low, here, off_here)
        } else if off_here * off_high < 0.0 {
            (here, off_here, high, off_high)
        } else {
            let ends = [off_low, off_here, off_high].map(|off| off + target.mm);
            let (least, most) = (
                ends.iter().copied().fold(f64::INFINITY, f64::min),
                ends.iter().copied().fold(0.0, f64::max),
            );
            let message = text!(
                "backwards-cannot-be-reached-by-alone",
                measure = target.measure.shown(),
                mm = both(target.mm),
                label = parameter.label,
                least = both(least),
                most = both(most)
            );
            let limit = if target.mm < least { least } else { most };
            return Err(Fault::new(format!("targets[{i}].mm"), message).limit(limit).into());
        };
        // The solver wants a measure that rises.
        let rising = if off_low < off_high { 1.0 } else { -1.0 };
        // A value on the way that cannot be made ends the search with its own fault.
        let mut failed = None;
        let guess = solve_itp(
            |value| {
                rising
                    * off(value).unwrap_or_else(|faults| {
                        failed.get_or_insert(faults);
                        0.0
                    })
            },
            low,
            high,
            1e-10,
            1,
            0.2 / (high - low),
            rising * off_low,
            rising * off_high,
        );
        if let Some(faults) = failed {
            return Err(faults);
        }
        // As round as it can be written, unless that steps over the edge of what can be made.
        let rounded = self.with(name, (guess * 1e9).round() / 1e9);
        Ok(if rounded.form().is_ok() { rounded } else { self.with(name, guess) })
    }

    /// The value nearest to `limit` that can still be made, coming from one that can.
    fn last_possible(&self, name: &str, here: f64, limit: f64) -> f64 {
        let possible = |value: f64| self.with(name, value).form().is_ok();
        if possible(limit) {
            return limit;
        }
        let (mut good, mut bad) = (here, limit);
        for _ in 0..40 {
            let middle = f64::midpoint(good, bad);
            if possible(middle) {
                good = middle;
            } else {
                bad = middle;
            }
        }
        good
    }
}
