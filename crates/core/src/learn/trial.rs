//! Trials: a piece made to learn from, and the blank and marks of the next.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use super::dimension::{made_of, rolled_by};
use super::measured::{count, deviation, mean};
use crate::fault::{Fault, Faults, Span};
use crate::pattern::measure::{Measure, Measures};
use crate::pattern::{PatternRequest, Unit};
use crate::tool::workshop::Workshop;
use crate::words::length::{LengthUnit, caliper, on_ruler, ruler_step_mm};
use lorimant_text::{Text, text};

/// One piece made to learn from.
#[derive(Debug, Clone, PartialEq, Default, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Trial {
    /// The blank that was cut, from flush face to flush face, mm.
    pub blank_mm: f64,
    /// Wire that was over at the end and trimmed off, mm; negative where so much was missing.
    #[serde(default)]
    pub over_mm: f64,
    /// What came out, by dimension, mm.
    #[serde(default)]
    pub got_mm: BTreeMap<String, f64>,
}

/// What to do with the next blank.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct NextBlank {
    /// Length to cut, from flush face to flush face, as the maker's ruler reads, mm.
    pub blank_mm: f64,
    /// The same to the last hundredth.
    pub exact_mm: f64,
    /// How much that is against the last, in the maker's own steps; negative for shorter.
    pub steps: i32,
    /// How much longer a blank of this must be than its parts add up to, mm; keep it with the pattern.
    pub allowance_mm: f64,
    /// One standard deviation of that, mm; nothing from one trial alone.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub allowance_spread_mm: Option<f64>,
    /// What to do, in a sentence.
    pub text: String,
    /// Why, a sentence each.
    pub reasons: Vec<String>,
    /// Marks to move, a sentence each.
    pub marks: Vec<String>,
    /// Whether the last one came out as it should.
    pub good: bool,
    /// The request with what was learned, to be kept as a revision.
    pub request: PatternRequest,
}

/// A blank that is off by a larger share of what its parts add up to was hardly measured right.
const DOUBTFUL: f64 = 0.2;

/// A trial is good when its blank was right to this, mm.
pub const GOOD_MM: f64 = 0.5;

impl Trial {
    /// Checks its lengths.
    ///
    /// # Errors
    /// A fault at each that is out of its limits.
    pub fn check(&self) -> Result<(), Faults> {
        const BLANK: Span = Span { noun: Text::named("trial-blank"), unit: " mm", least: 2.0, most: 2000.0 };
        const OVER: Span =
            Span { noun: Text::named("trial-what-was-left-over"), unit: " mm", least: -200.0, most: 500.0 };
        let mut faults = Faults::none();
        faults.keep(BLANK.check("blank_mm", self.blank_mm));
        faults.keep(OVER.check("over_mm", self.over_mm));
        faults.into_result()
    }
}

/// The next blank and marks after these trials, the last one last.
///
/// What a trial took beyond what its parts, as they came out, add up to is how hands and bends differ from the drawing: the
/// mean of it over the trials is the allowance of the next.
///
/// ```
/// use lorimant_core::learn::trial::{Trial, next};
/// use lorimant_core::pattern::PatternRequest;
/// use lorimant_core::tool::workshop::Workshop;
/// use lorimant_core::words::length::LengthUnit;
///
/// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
/// let planned = hook.form().unwrap().blank(LengthUnit::Mm).flush_exact_mm();
/// // Cut to the plan it came out as drawn, but 1.2 mm were missing at the tip.
/// let trial = Trial { blank_mm: planned, over_mm: -1.2, ..Trial::default() };
/// let next = next(&hook, &[trial], &Workshop::default()).unwrap();
/// assert!((next.allowance_mm - 1.2).abs() < 1e-9);
/// assert!(next.blank_mm >= planned + 1.2 - 1e-9);
/// ```
///
/// # Errors
/// The faults of the pattern and the trials; a fault where there is none.
pub fn next(request: &PatternRequest, trials: &[Trial], workshop: &Workshop) -> Result<NextBlank, Faults> {
    let plain = PatternRequest { allowance_mm: 0.0, ..request.clone() };
    let unit = workshop.habits.unit;
    let formed = plain.form()?.by(workshop.methods);
    let planned_mm = formed.blank(unit).flush_exact_mm();
    let mut faults = Faults::none();
    for (i, trial) in trials.iter().enumerate() {
        faults.nest(&format!("trials[{i}]"), trial.check());
    }
    faults.into_result()?;
    let Some(last) = trials.last() else {
        return Err(Fault::new("trials", text!("trial-make-one-first-cut-blank")).into());
    };
    // What its own parts add up to, as they came out.
    let took =
        |trial: &Trial| trial.blank_mm - trial.over_mm - (planned_mm + longer_mm(&plain, &trial.got_mm));
    let each: Vec<f64> = trials.iter().map(took).collect();
    let allowance_mm = mean(&each);
    let allowance_spread_mm = (each.len() > 1).then(|| deviation(&each) / count(&each).sqrt());
    let exact_mm = planned_mm + allowance_mm;
    let step = ruler_step_mm(unit);
    let blank_mm = (exact_mm / step - 1e-9).ceil() * step;
    #[expect(clippy::cast_possible_truncation, reason = "a few steps")]
    let steps = ((blank_mm - last.blank_mm) / step).round().clamp(-10_000.0, 10_000.0) as i32;
    let marks = marks(&plain, last, trials.len() == 1, workshop)?;
    let off_mm = last.blank_mm - exact_mm;
    let good = off_mm.abs() <= GOOD_MM && marks.is_empty();
    let request = PatternRequest { allowance_mm: (allowance_mm * 100.0).round() / 100.0, ..plain.clone() };
    Ok(NextBlank {
        blank_mm,
        exact_mm,
        steps,
        allowance_mm,
        allowance_spread_mm,
        text: told(steps, blank_mm, unit),
        reasons: reasons(&plain, last, (planned_mm, allowance_mm), trials.len(), unit),
        marks,
        good,
        request,
    })
}

/// How much longer than planned the parts of a piece add up to as they came out, mm.
fn longer_mm(request: &PatternRequest, got_mm: &BTreeMap<String, f64>) -> f64 {
    let Ok(drawn) = request.form() else { return 0.0 };
    let mut came_out = request.clone();
    for measure in drawn.measures() {
        let parameter = request.kind.0.parameter(&measure.key).filter(|p| p.unit == Unit::Mm);
        if let (Some(parameter), Some(got)) = (parameter, got_mm.get(&measure.key)) {
            let value = request.value(parameter.name) + got - measure.mm;
            came_out.parameters.insert(parameter.name.to_owned(), value.clamp(parameter.min, parameter.max));
        }
    }
    came_out.form().map_or(0.0, |formed| formed.developed_mm() - drawn.developed_mm())
}

/// Marks to move: where a loop came out larger or smaller on a tapered jaw. Where on the jaw that is can be said of the first
/// trial alone, which was rolled at the planned place.
fn marks(
    request: &PatternRequest,
    last: &Trial,
    is_first: bool,
    workshop: &Workshop,
) -> Result<Vec<String>, Faults> {
    let made = made_of(request, workshop)?;
    let formed = request.form()?;
    let unit = workshop.habits.unit;
    let mut told = vec![];
    let bent = |measure: &&Measure| matches!(measure.kind, Measures::Inside | Measures::Bend);
    for measure in formed.measures().iter().filter(bent) {
        let Some(got) = last.got_mm.get(&measure.key) else { continue };
        let off = got - measure.mm;
        if off.abs() <= workshop.tolerances.loop_mm / 2.0 {
            continue;
        }
        let rolled = rolled_by(&made, measure);
        let (by, larger) = (caliper(off.abs(), unit), off > 0.0);
        let jaw = rolled.and_then(|step| Some((step.numbers.jaw_mm?, step.numbers.slip_mm?)));
        let put_right = match jaw.filter(|(_, slip)| *slip > 1e-6) {
            None => text!("trial-bend-on-tool-or-measure", thinner = larger),
            Some((at, slip)) if is_first && at < off / slip => {
                text!("trial-jaw-not-that-thin-even").to_owned()
            }
            Some((at, slip)) => {
                let place = on_ruler(at - off / slip, unit);
                let place = if is_first { text!("trial-at-from-tip", place) } else { String::new() };
                text!(
                    "trial-roll-nearer-than-this-one",
                    off = on_ruler(off.abs() / slip, unit),
                    towards_tip = larger,
                    place
                )
            }
        };
        told.push(text!("trial-came-out", what = measure.what, by, larger, put_right));
    }
    Ok(told)
}

fn step_told(unit: LengthUnit) -> &'static str {
    match unit {
        LengthUnit::Mm => text!("trial-half-millimetre"),
        LengthUnit::Inch => text!("trial-thirty-second"),
    }
}

fn told(steps: i32, blank_mm: f64, unit: LengthUnit) -> String {
    let length = on_ruler(blank_mm, unit);
    match steps {
        0 => text!("trial-cut-next-one-like-last", length),
        1 => text!("trial-cut-next-one-longer", unit = step_told(unit), length),
        -1 => text!("trial-cut-next-one-shorter", unit = step_told(unit), length),
        steps => {
            let by = f64::from(steps.abs()) * ruler_step_mm(unit);
            text!("trial-cut-next-one", by = on_ruler(by, unit), longer = steps > 0, length)
        }
    }
}

fn reasons(
    request: &PatternRequest,
    last: &Trial,
    (planned_mm, allowance_mm): (f64, f64),
    trials_n: usize,
    unit: LengthUnit,
) -> Vec<String> {
    let mut reasons = vec![text!("trial-its-parts-add-up-as", planned_mm = caliper(planned_mm, unit))];
    let parts = longer_mm(request, &last.got_mm);
    if parts.abs() > 0.05 {
        let more = parts > 0.0;
        reasons.push(text!("trial-formed-they-took-marks-correct", parts = caliper(parts.abs(), unit), more));
    }
    if last.over_mm.abs() > 0.05 {
        let over = last.over_mm > 0.0;
        reasons.push(text!("trial-at-end", over_mm = caliper(last.over_mm.abs(), unit), over));
    }
    if allowance_mm.abs() > DOUBTFUL * planned_mm {
        reasons.push(text!("trial-that-far-from-what-its").to_owned());
    }
    let of = if trials_n > 1 { text!("trial-over-trials", trials_n) } else { String::new() };
    reasons.push(text!(
        "trial-in-your-hands-blank-needs",
        allowance_mm = caliper(allowance_mm.abs(), unit),
        longer = allowance_mm > 0.0,
        of
    ));
    reasons
}
