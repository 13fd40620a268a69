//! Lengths as people type them: `5`, `5mm`, `0.5 cm`, `3/16"`, `2 1/4 in`, `18 awg`, `.040"`.

use serde::{Deserialize, Serialize};
use winnow::ascii::{digit1, space0, space1};
use winnow::combinator::{alt, opt, preceded, terminated};
use winnow::prelude::*;
use winnow::token::one_of;

use crate::gauge::{Gauge, GaugeSystem, MM_PER_INCH, nearest_told};
use crate::words::words;

words! {
    /// Which unit the workshop reads first.
    pub enum LengthUnit ("unit") {
        /// Millimetres.
        Mm = "mm", "mm";
        /// Inches.
        Inch = "inch", "in";
    }
}

/// How a workshop reads numbers that come without a unit or a system.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Habits {
    /// Unit of a bare number.
    pub unit: LengthUnit,
    /// System of a bare gauge.
    pub gauge: GaugeSystem,
}

impl Default for Habits {
    fn default() -> Self {
        Self { unit: LengthUnit::Mm, gauge: GaugeSystem::Awg }
    }
}

/// How a length was written.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Typed {
    /// A number without a unit.
    Bare(f64),
    /// A number with a unit, in mm.
    Mm(f64),
    /// A gauge with its system.
    Gauge(GaugeSystem, i32),
    /// A gauge without a system, like `18 ga`.
    BareGauge(i32),
}

/// A typed length, understood.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Reading {
    /// The length in millimetres.
    pub mm: f64,
    /// The length in inches.
    pub inch: f64,
    /// What was understood, written out in mm, inches and both gauges.
    pub text: String,
    /// What had to be assumed, for example the system of a bare gauge.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub note: Option<String>,
}

/// Reads one length, all of it.
///
/// # Errors
/// A sentence that shows the ways a length can be typed, when the text is none of them.
pub fn read(text: &str, habits: Habits) -> Result<Reading, String> {
    let shown: String = text.trim().chars().take(40).collect();
    if shown.is_empty() {
        return Err("Nothing is typed here. Try 5, 5 mm, 3/16\", 2 1/4 in or 18 awg.".to_owned());
    }
    let lower = text.trim().to_lowercase();
    let ways = "Try 5, 5 mm, 0.5 cm, 3/16\", 2 1/4 in, 18 awg or 18 swg.";
    let typed = terminated(typed, space0)
        .parse(lower.as_str())
        .map_err(|_| format!("“{shown}” is not a length that can be read. {ways}"))?;
    understand(typed, habits)
}

/// Turns what was typed into millimetres, under the workshop's habits.
///
/// # Errors
/// A sentence when a gauge has no such number.
pub fn understand(typed: Typed, habits: Habits) -> Result<Reading, String> {
    let (mm, note) = match typed {
        Typed::Bare(n) => match habits.unit {
            LengthUnit::Mm => (n, None),
            LengthUnit::Inch => {
                (n * MM_PER_INCH, Some("A bare number is read as inches in this workshop.".into()))
            }
        },
        Typed::Mm(mm) => (mm, None),
        Typed::Gauge(system, number) => (gauge_mm(system, number)?, None),
        Typed::BareGauge(number) => {
            let note = format!("Read as {}, this workshop's gauge.", habits.gauge);
            (gauge_mm(habits.gauge, number)?, Some(note))
        }
    };
    if !mm.is_finite() {
        return Err("That number is too large to be a length.".to_owned());
    }
    Ok(Reading { mm, inch: mm / MM_PER_INCH, text: written(mm), note })
}

fn gauge_mm(system: GaugeSystem, number: i32) -> Result<f64, String> {
    Gauge::new(system, number).map(Gauge::mm).ok_or_else(|| {
        let thickest = Gauge { system, number: *Gauge::numbers(system).start() };
        format!("{system} has no number {number}: it runs from {thickest} to 40.")
    })
}

/// A wire size written in every way it is known by: mm, inches and both common gauges, with the
/// nearest number where the size falls between two.
pub fn written(mm: f64) -> String {
    let inch = mm / MM_PER_INCH;
    let mut text = format!("{} mm = {} in", shown(mm, 3), shown(inch, 4));
    let gauge_span = Gauge { system: GaugeSystem::Swg, number: 40 }.mm() * 0.9..12.0;
    if gauge_span.contains(&mm) {
        for system in [GaugeSystem::Awg, GaugeSystem::Swg] {
            let near = nearest_told(system, mm);
            let told =
                if near.starts_with(char::is_numeric) { format!(" = {near}") } else { format!(", {near}") };
            text.push_str(&told);
        }
    }
    text
}

/// A number with at most `places` decimals and no trailing zeros.
pub fn shown(value: f64, places: usize) -> String {
    let text = format!("{value:.places$}");
    let text = if text.contains('.') { text.trim_end_matches('0').trim_end_matches('.') } else { &text };
    if text == "-0" { "0".to_owned() } else { text.to_owned() }
}

/// Parses a length or gauge at the head of `input` (lower case), leaving the rest.
pub(crate) fn typed(input: &mut &str) -> ModalResult<Typed> {
    alt((slashed_gauge, number_with_unit)).parse_next(input)
}

/// `2/0 awg`: the aught sizes.
fn slashed_gauge(input: &mut &str) -> ModalResult<Typed> {
    let aughts = terminated(digit1, "/0").parse_to::<i32>();
    (aughts, space0, gauge_word)
        .map(|(n, _, system)| match system {
            Some(system) => Typed::Gauge(system, 1 - n),
            None => Typed::BareGauge(1 - n),
        })
        .parse_next(input)
}

fn number_with_unit(input: &mut &str) -> ModalResult<Typed> {
    let n = amount(input)?;
    let whole = n.fract() == 0.0 && n.abs() < 1000.0;
    if whole && let Some(system) = opt(preceded(space0, gauge_word)).parse_next(input)? {
        #[expect(clippy::cast_possible_truncation, reason = "whole and below a thousand")]
        let number = n as i32;
        return Ok(system.map_or(Typed::BareGauge(number), |s| Typed::Gauge(s, number)));
    }
    let unit = opt(preceded(space0, unit_mm)).parse_next(input)?;
    Ok(unit.map_or(Typed::Bare(n), |mm| Typed::Mm(n * mm)))
}

/// A number as written by hand: `5`, `.040`, `1,5`, `3/16`, `2 1/4`, `2-1/4`.
pub(crate) fn amount(input: &mut &str) -> ModalResult<f64> {
    let fraction = |input: &mut &str| -> ModalResult<f64> {
        let (over, _, under) =
            (digit1.parse_to::<f64>(), '/', digit1.parse_to::<f64>().verify(|d| *d != 0.0))
                .parse_next(input)?;
        Ok(over / under)
    };
    let mixed = (digit1.parse_to::<f64>(), alt((space1, "-")), fraction).map(|(n, _, f)| n + f);
    alt((mixed, fraction, decimal)).parse_next(input)
}

fn decimal(input: &mut &str) -> ModalResult<f64> {
    let point = || one_of(['.', ',']);
    let text =
        alt(((opt('-'), digit1, opt((point(), opt(digit1)))).take(), (opt('-'), point(), digit1).take()))
            .parse_next(input)?;
    let number: f64 = text.replace(',', ".").parse().unwrap_or(f64::NAN);
    Ok(number)
}

/// A gauge's name; `None` for a bare `ga`.
fn gauge_word(input: &mut &str) -> ModalResult<Option<GaugeSystem>> {
    terminated(
        alt((
            alt(("awg", "b&s")).value(Some(GaugeSystem::Awg)),
            "swg".value(Some(GaugeSystem::Swg)),
            alt(("w&m", "steel-wire gauge", "steel wire gauge")).value(Some(GaugeSystem::SteelWire)),
            alt(("gauge", "ga.", "ga", "g.")).value(None),
        )),
        word_end,
    )
    .parse_next(input)
}

/// Millimetres in the unit named at the head of `input`.
fn unit_mm(input: &mut &str) -> ModalResult<f64> {
    alt((
        terminated(
            alt((
                alt(("millimetres", "millimeters", "mm")).value(1.0),
                alt(("centimetres", "centimeters", "cm")).value(10.0),
                alt(("metres", "meters", "metre", "meter", "m")).value(1000.0),
                alt(("inches", "inch", "in.", "in")).value(MM_PER_INCH),
                alt(("feet", "foot", "ft")).value(12.0 * MM_PER_INCH),
            )),
            word_end,
        ),
        alt(("\"", "″", "''", "”", "“")).value(MM_PER_INCH),
        alt(("'", "′")).value(12.0 * MM_PER_INCH),
    ))
    .parse_next(input)
}

/// Succeeds where no letter or digit follows, so that `m` is not read out of `mandrel`.
pub(crate) fn word_end(input: &mut &str) -> ModalResult<()> {
    winnow::combinator::not(one_of(|c: char| c.is_alphanumeric())).parse_next(input)
}
