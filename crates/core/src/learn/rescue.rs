//! Something went wrong at a step: what the piece can still become.

use serde::{Deserialize, Serialize};

use super::dimension::made_of;
use super::half_made::HalfMade;
use crate::drawing::Drawing;
use crate::fault::{Fault, Faults, Span};
use crate::making::operations::Anneal;
use crate::making::workpiece::ClosedBy;
use crate::making::{Operation, Step};
use crate::pattern::measure::{Measure, Measures};
use crate::pattern::{Parameter, PatternRequest, Unit};
use crate::shape::view::Side;
use crate::tool::gear::Gear;
use crate::tool::workshop::Workshop;
use crate::words::length::{LengthUnit, caliper, on_ruler, shown};
use crate::words::words;
use lorimant_text::{Text, text};

words! {
    /// What went wrong.
    pub enum Wrong ("wrong") {
        /// The blank was cut short.
        CutShort = "cut-short";
        /// The end ran out before the last bend.
        EndStarved = "end-starved";
        /// A loop or eye came out large.
        EyeLarge = "eye-too-large";
        /// A spiral came out loose.
        SpiralLoose = "spiral-loose";
        /// More turns were lifted than one.
        TurnsLifted = "turns-lifted";
        /// It was hammered thinner than meant.
        OverHammered = "over-hammered";
    }
}

/// A mishap with its measure.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct WentWrong {
    /// What went wrong.
    pub wrong: Wrong,
    /// By how much: mm too short or too large, mm from turn to turn too wide, turns too many, or the thickness left.
    pub amount: f64,
    /// The step it went wrong at, by its place in the route, from 1: all up to it is done, 0 where nothing is yet. Where it
    /// is left out, the step at which it is usually seen.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub at_step_n: Option<usize>,
}

/// Something it can still become.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Rescue {
    /// What to do, in a sentence.
    pub text: String,
    /// The piece it becomes.
    pub request: PatternRequest,
    /// How much of the blank that takes, mm.
    pub blank_mm: f64,
    /// Which kept pattern it is, where it is one, by its number.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub saved: Option<i64>,
    /// The piece drawn.
    pub drawing: Drawing,
}

/// What can be done.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Rescues {
    /// Wire there is for it, flush face to flush face, mm.
    pub wire_mm: f64,
    /// What it can become, what changes least first.
    pub options: Vec<Rescue>,
    /// Colour of its bare metal, `#rrggbb`.
    pub colour: String,
    /// The last way out: scrap with its weight.
    pub scrap: String,
}

/// A kept pattern that it could become, with its number.
#[derive(Debug, Clone, PartialEq)]
pub struct KeptOne {
    /// Its number.
    pub id: i64,
    /// What it is called.
    pub name: String,
    /// The pattern.
    pub request: PatternRequest,
}

/// Most other patterns shown.
const MOST_KEPT: usize = 4;
/// A dimension is not cut below this share of what it was meant to be.
const LEAST_SHARE: f64 = 0.4;

/// What a piece can still become.
///
/// ```
/// use lorimant_core::learn::rescue::{WentWrong, Wrong, rescued};
/// use lorimant_core::pattern::PatternRequest;
/// use lorimant_core::tool::workshop::Workshop;
///
/// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
/// let short = WentWrong { wrong: Wrong::CutShort, amount: 3.0, at_step_n: None };
/// let rescues = rescued(&hook, short, &[], &Workshop::default()).unwrap();
/// // Each of them can be made of the wire there is.
/// assert!(!rescues.options.is_empty());
/// assert!(rescues.options.iter().all(|one| one.blank_mm <= rescues.wire_mm + 1e-6));
/// ```
///
/// # Errors
/// The faults of the pattern; a fault where the mishap cannot be of this pattern, by so much, or at that step.
pub fn rescued(
    request: &PatternRequest,
    mishap: WentWrong,
    kept: &[KeptOne],
    workshop: &Workshop,
) -> Result<Rescues, Faults> {
    let unit = workshop.habits.unit;
    let one = PatternRequest { pieces_n: 1, count_singles: true, ..request.clone() };
    let planned_mm =
        flush_mm(&one, workshop).ok_or_else(|| request.form().err().unwrap_or_else(Faults::none))?;
    let (base, enough_mm) = gone_wrong(&one, mishap, planned_mm, workshop)?;
    // A loose spiral takes more of the wire, which is there again once it is straightened.
    let wire_mm = if mishap.wrong == Wrong::SpiralLoose { planned_mm } else { enough_mm };
    let usually = |steps: &[Step]| mishap.wrong.usually_seen(steps);
    let half = HalfMade::of(&base, mishap.at_step_n, usually, workshop)?;
    let bent: Vec<&Step> = half.shaped().collect();
    let mut options = vec![];
    let fits = |request: &PatternRequest| flush_mm(request, workshop).filter(|mm| *mm <= wire_mm + 1e-6);
    if let Some(blank_mm) = fits(&base).filter(|mm| *mm <= enough_mm + 1e-6) {
        options.extend(option(
            as_it_is(mishap, &base, &workshop.gear, unit),
            base.clone(),
            blank_mm,
            None,
            unit,
        ));
    } else {
        options.extend(coiled_tighter(mishap, &one, workshop, unit));
        options.extend(less_of_something(&half, &base, enough_mm, workshop, unit));
    }
    let others = kept.iter().filter(|other| {
        other.request.wire.stands_for(&request.wire)
            && other.request.kind != request.kind
            && mishap.wrong != Wrong::OverHammered
            && half.joined().is_none()
    });
    for other in others {
        let single = PatternRequest { pieces_n: 1, count_singles: true, ..other.request.clone() };
        let Some(blank_mm) = fits(&single) else { continue };
        let straighten = if bent.is_empty() { "" } else { text!("rescue-straighten") };
        let Some(anneal) = half.straightened_for(&bent, &single) else { continue };
        let told = text!(
            "rescue-make-your-from-uses-its",
            straighten,
            name = other.name,
            blank_mm = on_ruler(blank_mm, unit),
            wire_mm = on_ruler(wire_mm, unit),
            anneal
        );
        options.extend(option(told, single, blank_mm, Some(other.id), unit));
        if options.iter().filter(|one| one.saved.is_some()).count() >= MOST_KEPT {
            break;
        }
    }
    let mass = request.wire.mass_g(wire_mm);
    let soldered =
        if half.joined() == Some(ClosedBy::Soldered) { text!("rescue-with-solder-on") } else { "" };
    let scrap =
        text!("rescue-or-put-in-scrap-g", metal = request.wire.metal, soldered, mass = shown(mass, 2));
    let colour = request.wire.metal.figures().colour.to_owned();
    Ok(Rescues { wire_mm, options, colour, scrap })
}

impl Wrong {
    /// By how many steps it is usually seen: a blank cut short before it is bent, an end that ran out before the last bend,
    /// all else at the step that makes it.
    fn usually_seen(self, steps: &[Step]) -> usize {
        let at = |is: &dyn Fn(&Step) -> bool| steps.iter().position(is).map_or(steps.len(), |i| i + 1);
        match self {
            Self::CutShort => 0,
            Self::EndStarved => steps.iter().rposition(|step| !step.segments.is_empty()).unwrap_or(0),
            Self::EyeLarge => at(&|step| step.operation == Operation::Loop),
            Self::SpiralLoose => at(&|step| step.operation == Operation::Spiral),
            Self::TurnsLifted => at(&|step| step.operation == Operation::Lift),
            Self::OverHammered => at(&|step| step.numbers.thickness_mm.is_some()),
        }
    }
}

/// What it is cut to between flush faces, with what trials have shown that it takes more, mm.
fn flush_mm(request: &PatternRequest, workshop: &Workshop) -> Option<f64> {
    let formed = request.form().ok()?.by(workshop.methods);
    Some(formed.blank(workshop.habits.unit).flush_exact_mm() + request.allowance_mm)
}

fn option(
    text: String,
    request: PatternRequest,
    blank_mm: f64,
    saved: Option<i64>,
    unit: LengthUnit,
) -> Option<Rescue> {
    let drawing = request.form().ok()?.drawn(Side::Front, unit).drawing;
    Some(Rescue { text, request, blank_mm, saved, drawing })
}

/// The piece as it went wrong and the wire there is for it.
fn gone_wrong(
    request: &PatternRequest,
    mishap: WentWrong,
    planned_mm: f64,
    workshop: &Workshop,
) -> Result<(PatternRequest, f64), Faults> {
    let short = Span { noun: Text::named("rescue-what-missing"), unit: " mm", least: 0.1, most: planned_mm };
    let large = Span { noun: Text::named("rescue-how-much-larger"), unit: " mm", least: 0.05, most: 20.0 };
    let none = |what: &str| -> Faults {
        let message = text!("rescue-has-no-choose-what-went", name = request.kind.0.name, what);
        Fault::new("wrong", message).into()
    };
    let has = |names: &[&str]| names.iter().find_map(|name| request.kind.0.parameter(name));
    let mut base = request.clone();
    let mut set = |parameter: &Parameter, value: f64| -> Result<(), Faults> {
        if !(parameter.min..=parameter.max).contains(&value) {
            let label = parameter.label;
            let message = text!(
                "rescue-that-makes-can-have-measure",
                label,
                shown = shown(value, 2),
                name = request.kind.0.name,
                min = shown(parameter.min, 2),
                max = shown(parameter.max, 2)
            );
            return Err(Fault::new("by", message).into());
        }
        base.parameters.insert(parameter.name.to_owned(), value);
        Ok(())
    };
    let does = |operation| -> Result<bool, Faults> {
        Ok(request.form()?.design.steps.iter().any(|step| step.kind == operation))
    };
    match mishap.wrong {
        Wrong::CutShort | Wrong::EndStarved => {
            short.check("by", mishap.amount)?;
            Ok((base, planned_mm - mishap.amount))
        }
        Wrong::EyeLarge => {
            large.check("by", mishap.amount)?;
            let eye =
                has(&["eye_mm", "loop_mm", "inside_mm"]).ok_or_else(|| none(text!("rescue-eye-or-loop")))?;
            set(eye, request.value(eye.name) + mishap.amount)?;
            Ok((base, planned_mm))
        }
        Wrong::SpiralLoose => {
            large.check("by", mishap.amount)?;
            let spiral = does(Operation::Spiral)?;
            let turns = has(&["turns_n"]).filter(|_| spiral).ok_or_else(|| none("spiral"))?;
            // Each turn lies so much further out: the wire is spent on fewer of them.
            let n = request.value(turns.name);
            let more = std::f64::consts::PI * mishap.amount * n * n;
            Ok((base, (planned_mm - more).max(0.0)))
        }
        Wrong::TurnsLifted => {
            let lifts = does(Operation::Lift)?;
            let turns =
                has(&["turns_n"]).filter(|_| lifts).ok_or_else(|| none(text!("rescue-turn-that-lifted")))?;
            Span {
                noun: Text::named("rescue-turns-lifted"),
                unit: "",
                least: 2.0,
                most: (request.value(turns.name)).max(2.0),
            }
            .check("by", mishap.amount)?;
            // What is lifted besides the first is trimmed, and the cap is so many turns shorter.
            set(turns, request.value(turns.name) - (mishap.amount - 1.0))?;
            Ok((base, planned_mm))
        }
        Wrong::OverHammered => {
            let h = request.wire.profile().thickness_mm();
            Span { noun: Text::named("rescue-thickness-left"), unit: " mm", least: 0.3 * h, most: h }
                .check("by", mishap.amount)?;
            let hammered = has(&["hammered_mm"]).ok_or_else(|| none(text!("rescue-bend-that-hammered")))?;
            set(hammered, mishap.amount)?;
            let used = (h / mishap.amount).ln() / crate::wire::strength::strain_left(&request.wire);
            if used > 1.0 {
                let message = text!(
                    "rescue-at-has-more-strain-than",
                    by = caliper(mishap.amount, workshop.habits.unit)
                );
                return Err(Fault::new("by", message).into());
            }
            // Hammered wire is longer: it fits as it lies.
            let grown = flush_mm(&base, workshop).unwrap_or(planned_mm);
            Ok((base, planned_mm.max(grown)))
        }
    }
}

fn as_it_is(mishap: WentWrong, base: &PatternRequest, gear: &Gear, unit: LengthUnit) -> String {
    match mishap.wrong {
        Wrong::TurnsLifted => {
            text!("rescue-trim-extra-lifted-turns-leaving", base = shown(base.value("turns_n"), 1))
        }
        Wrong::OverHammered => text!(
            "rescue-leave-at-harder-wider-there",
            by = caliper(mishap.amount, unit),
            value = if Anneal::of(&base.wire, gear).is_ok() {
                text!("rescue-anneal-before-any-further-bend")
            } else {
                ""
            }
        ),
        _ => text!("rescue-piece-still-comes-out-complete").to_owned(),
    }
}

/// A loose spiral made tight again: pressed where its turns are near each other, else coiled on. It is bent further the way
/// it is bent already, which the metal bears as planned, and its wire is all there.
fn coiled_tighter(
    mishap: WentWrong,
    planned: &PatternRequest,
    workshop: &Workshop,
    unit: LengthUnit,
) -> Option<Rescue> {
    if mishap.wrong != Wrong::SpiralLoose {
        return None;
    }
    let told = if mishap.amount <= planned.wire.profile().thickness_mm() {
        text!("rescue-press-spiral-tighter")
    } else {
        text!("rescue-coil-spiral-tighter")
    };
    option(told.to_owned(), planned.clone(), flush_mm(planned, workshop)?, None, unit)
}

/// How readily a dimension gives way: a straight leg before turns, turns before what is bent to a size, and what is made
/// to fit something else last; none of what is no size of the piece itself, as the cord it is made for.
fn yields(parameter: &Parameter, measures: &[Measure]) -> Option<u8> {
    let measure = measures.iter().find(|measure| measure.key == parameter.name);
    match (parameter.fits, measure.map(|measure| measure.kind)) {
        (true, None) => None,
        (true, Some(_)) => Some(3),
        (false, _) if parameter.unit == Unit::Turns => Some(1),
        (false, Some(Measures::Length)) => Some(0),
        (false, _) => Some(2),
    }
}

/// The piece with less of one of its dimensions, so that it can be made of what there is: the largest that fits, for each
/// dimension that spends wire: with the least to straighten first, then as they yield, then by how little they change.
fn less_of_something(
    half: &HalfMade,
    base: &PatternRequest,
    wire_mm: f64,
    workshop: &Workshop,
    unit: LengthUnit,
) -> Vec<Rescue> {
    let mut found: Vec<((usize, u8, f64), Rescue)> = vec![];
    let measures = base.form().map(|formed| formed.measures()).unwrap_or_default();
    for parameter in base.kind.0.parameters.iter().filter(|p| matches!(p.unit, Unit::Mm | Unit::Turns)) {
        let value = base.value(parameter.name);
        let least = (LEAST_SHARE * value).max(parameter.min);
        if value <= least + 1e-9 || parameter.default == 0.0 {
            continue;
        }
        let Some(yields) = yields(parameter, &measures) else { continue };
        let with = |value: f64| {
            let mut request = base.clone();
            request.parameters.insert(parameter.name.to_owned(), value);
            request
        };
        let fits = |value: f64| flush_mm(&with(value), workshop).is_some_and(|mm| mm <= wire_mm + 1e-6);
        // It must be the wire this spends that is missing.
        if !fits(least) {
            continue;
        }
        let (mut low, mut high) = (least, value);
        for _ in 0..30 {
            let middle = f64::midpoint(low, high);
            if fits(middle) { low = middle } else { high = middle }
        }
        let step = if parameter.unit == Unit::Turns { 0.5 } else { 0.1 };
        let rounded = ((low / step + 1e-6).floor() * step).max(least);
        let request = with(rounded);
        let Some(blank_mm) = flush_mm(&request, workshop) else { continue };
        // It is made by its route, or it is no rescue.
        if made_of(&request, workshop).is_err() {
            continue;
        }
        let read = |value: f64| {
            if parameter.unit == Unit::Turns { shown(value, 1) } else { caliper(value, unit) }
        };
        let mut told = text!(
            "rescue-make-instead",
            label = parameter.label,
            rounded = read(rounded),
            instead = read(value)
        );
        // The less has to be straightened for it the better.
        let undone = half.to_straighten(&request);
        if !undone.is_empty() {
            let Some(anneal) = half.straightened_for(&undone, &request) else { continue };
            let mut what: Vec<String> =
                undone.iter().map(|step| text!("rescue-the", what = step.what)).collect();
            what.dedup();
            told = text!("rescue-straighten-2", what = what.join(text!("sentence-and")), told, anneal);
        }
        let changes = (undone.len(), yields, 1.0 - rounded / value);
        found.extend(option(told, request, blank_mm, None, unit).map(|one| (changes, one)));
    }
    found.sort_by(|(a, _), (b, _)| (a.0, a.1).cmp(&(b.0, b.1)).then(a.2.total_cmp(&b.2)));
    found.into_iter().map(|(_, one)| one).collect()
}
