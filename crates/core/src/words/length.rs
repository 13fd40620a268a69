//! Lengths as people type them: `5`, `5mm`, `0.5 cm`, `3/16"`, `2 1/4 in`, `18 awg`, `.040"`.

use serde::{Deserialize, Serialize};
use winnow::ascii::{digit1, space0};
use winnow::combinator::{alt, opt, preceded, terminated};
use winnow::prelude::*;
use winnow::token::one_of;

use crate::words::gauge::{Gauge, GaugeSystem, MM_PER_INCH, nearest_told};
use crate::words::number::{self, Amount};
use crate::words::{quoted, word_end, words};
use lorimant_text::{fixed, text};

words! {
    /// Which unit the workshop reads first.
    pub enum LengthUnit ("length-unit") {
        /// Millimetres.
        Mm = "mm";
        /// Inches.
        Inch = "inch";
    }
}

/// How a workshop reads numbers that come without a unit or a system.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
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
    /// A fraction without a unit, like `5/32`: nobody writes millimetres so.
    Fraction(f64),
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
    /// The number nearest to it in each gauge system, where it can be a wire's size.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub nearest: Vec<Gauge>,
    /// What had to be assumed, for example the system of a bare gauge.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub note: Option<String>,
}

/// Reads one length, all of it.
///
/// ```
/// use lorimant_core::words::length::{Habits, read};
///
/// let mm = |text| read(text, Habits::default()).unwrap().mm;
/// assert_eq!((mm("5"), mm("0.5 cm"), mm("2 1/4 in")), (5.0, 5.0, 57.15));
/// assert_eq!(read("18 ga", Habits::default()).unwrap().note.unwrap(), "Read as AWG, your gauge system.");
/// ```
///
/// # Errors
/// A sentence that shows the ways a length can be typed, when the text is none of them.
pub fn read(text: &str, habits: Habits) -> Result<Reading, String> {
    if text.trim().is_empty() {
        return Err(text!("length-nothing-entered-try-5-5").to_owned());
    }
    let lower = text.trim().to_lowercase();
    let ways = text!("length-try-5-5-mm-0");
    let typed = terminated(typed, space0)
        .parse(lower.as_str())
        .map_err(|_| text!("length-not-length", text = quoted(text), ways))?;
    understand(typed, habits)
}

/// Least bare whole number that can only be a wire's gauge: no wire here is that many millimetres thick.
const LEAST_GAUGE: f64 = 14.0;

/// Reads a wire's size: as a length, but a bare whole number that no wire is thick is the workshop's gauge.
///
/// ```
/// use lorimant_core::words::length::{Habits, read_size};
///
/// let size = |text| read_size(text, Habits::default()).unwrap();
/// assert_eq!(size("18").note.as_deref(), Some("Read as AWG, your gauge system."));
/// assert_eq!(size("1.2").mm, 1.2);
/// assert_eq!(size("2").mm, 2.0);
/// ```
///
/// # Errors
/// As [`read`].
pub fn read_size(text: &str, habits: Habits) -> Result<Reading, String> {
    match number::read(text) {
        Some(n) if n.fract() == 0.0 && (LEAST_GAUGE..=40.0).contains(&n) => {
            read(&format!("{n} gauge"), habits)
        }
        _ => read(text, habits),
    }
}

/// What one nudge adds to a length, mm: what a ruler of the unit read first is read to.
pub fn nudge_step_mm(unit: LengthUnit) -> f64 {
    match unit {
        LengthUnit::Mm => 0.1,
        LengthUnit::Inch => MM_PER_INCH / 64.0,
    }
}

/// A length so many nudges on: it lands on whole steps and never on nothing.
///
/// ```
/// use lorimant_core::words::length::{LengthUnit, nudged};
///
/// assert_eq!(nudged(1.23, 1, LengthUnit::Mm), 1.3);
/// assert_eq!(nudged(0.2, -5, LengthUnit::Mm), 0.1);
/// ```
pub fn nudged(mm: f64, steps: i32, unit: LengthUnit) -> f64 {
    let step = nudge_step_mm(unit);
    (((mm / step).round() + f64::from(steps)).max(1.0) * step * 1e6).round() / 1e6
}

/// Turns what was typed into millimetres, under the workshop's habits.
///
/// # Errors
/// A sentence when a gauge has no such number.
pub fn understand(typed: Typed, habits: Habits) -> Result<Reading, String> {
    let (mm, note) = match typed {
        Typed::Bare(n) => match habits.unit {
            LengthUnit::Mm => (n, None),
            LengthUnit::Inch => (n * MM_PER_INCH, Some(text!("length-number-without-unit-read-as").into())),
        },
        Typed::Fraction(n) => {
            (n * MM_PER_INCH, Some(text!("length-fraction-without-unit-read-as").to_owned()))
        }
        Typed::Mm(mm) => (mm, None),
        Typed::Gauge(system, number) => (gauge_mm(system, number)?, None),
        Typed::BareGauge(number) => {
            let note = text!("length-read-as-your-gauge-system", gauge = habits.gauge);
            (gauge_mm(habits.gauge, number)?, Some(note))
        }
    };
    if !mm.is_finite() {
        return Err(text!("length-that-number-too-large-for").to_owned());
    }
    let nearest = if mm > 0.0 {
        GaugeSystem::ALL.iter().map(|system| Gauge::nearest(*system, mm)).collect()
    } else {
        vec![]
    };
    Ok(Reading { mm, inch: mm / MM_PER_INCH, text: written(mm), nearest, note })
}

fn gauge_mm(system: GaugeSystem, number: i32) -> Result<f64, String> {
    Gauge::new(system, number).map(Gauge::mm).ok_or_else(|| {
        let thickest = Gauge { system, number: *Gauge::numbers(system).start() };
        text!("length-has-no-number-runs-from", system, number, thickest)
    })
}

/// A wire size written in every way it is known by: mm, inches and both common gauges, with the
/// nearest number where the size falls between two.
///
/// ```
/// use lorimant_core::words::length::written;
///
/// assert_eq!(written(25.4), "25.4 mm = 1 in");
/// assert!(written(1.0237).contains("18 AWG"));
/// ```
pub fn written(mm: f64) -> String {
    let inch = mm / MM_PER_INCH;
    let mut text = text!("length-mm-in", mm = shown(mm, 3), inch = shown(inch, 4));
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
///
/// ```
/// use lorimant_core::words::length::shown;
///
/// assert_eq!((shown(2.50, 2), shown(2.0, 2), shown(-0.001, 2)), ("2.5".into(), "2".into(), "0".into()));
/// ```
pub fn shown(value: f64, places: usize) -> String {
    let text = format!("{value:.places$}");
    let text = if text.contains('.') { text.trim_end_matches('0').trim_end_matches('.') } else { &text };
    if text == "-0" { "0".to_owned() } else { text.to_owned() }
}

/// An inch size written as a fraction of 64ths, where it is one: `3/16`, `1 1/4`.
///
/// ```
/// use lorimant_core::words::length::inch_fraction;
///
/// assert_eq!(inch_fraction(4.7625).as_deref(), Some("3/16"));
/// assert_eq!(inch_fraction(5.0), None);
/// ```
pub fn inch_fraction(mm: f64) -> Option<String> {
    let in_64ths = mm / MM_PER_INCH * 64.0;
    if (in_64ths - in_64ths.round()).abs() > 0.001 || !(0.5..=64.0 * 12.0).contains(&in_64ths) {
        return None;
    }
    #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "0.5 to 768, rounded")]
    let n = in_64ths.round() as u32;
    let (whole, mut over, mut under) = (n / 64, n % 64, 64);
    while over > 0 && over % 2 == 0 {
        (over, under) = (over / 2, under / 2);
    }
    Some(match (whole, over) {
        (w, 0) => w.to_string(),
        (0, o) => format!("{o}/{under}"),
        (w, o) => format!("{w} {o}/{under}"),
    })
}

/// A rod's size as people name it: `5 mm`, `4.763 mm (3/16 in)`; inches first: `3/16 in (4.763 mm)`,
/// `0.197 in (5 mm)`.
///
/// ```
/// use lorimant_core::words::length::{LengthUnit, rod_size};
///
/// assert_eq!(rod_size(4.7625, LengthUnit::Mm), "4.763 mm (3/16 in)");
/// assert_eq!(rod_size(5.0, LengthUnit::Inch), "0.197 in (5 mm)");
/// ```
pub fn rod_size(mm: f64, unit: LengthUnit) -> String {
    let exact = shown(mm, 3);
    // Every whole metric size is shown as it is; only sizes that are odd in mm are named in inches.
    let metric = (mm * 20.0 - (mm * 20.0).round()).abs() < 1e-6;
    let inch = inch_fraction(mm).filter(|_| !metric);
    match (unit, inch) {
        (LengthUnit::Mm, Some(inch)) => text!("length-mm-in-2", exact, inch),
        (LengthUnit::Mm, None) => text!("length-mm", exact),
        (LengthUnit::Inch, Some(inch)) => text!("length-in-mm", inch, exact),
        (LengthUnit::Inch, None) => text!("length-in-mm-2", mm = shown(mm / MM_PER_INCH, 3), exact),
    }
}

/// What a maker's ruler reads: half a millimetre, or a sixteenth of an inch.
pub fn ruler_step_mm(unit: LengthUnit) -> f64 {
    match unit {
        LengthUnit::Mm => 0.5,
        LengthUnit::Inch => MM_PER_INCH / 32.0,
    }
}

/// The step a maker reads a pull off the spool to, mm, of a length: 10 mm on the metre stick and 0.1 m above 10 m; half an
/// inch and a quarter of a foot where inches are read.
#[must_use]
pub fn pull_step_mm(mm: f64, unit: LengthUnit) -> f64 {
    let (short, long, from_mm) = match unit {
        LengthUnit::Mm => (10.0, 100.0, 10_000.0),
        LengthUnit::Inch => (MM_PER_INCH / 2.0, 3.0 * MM_PER_INCH, 30.0 * 12.0 * MM_PER_INCH),
    };
    if mm > from_mm { long } else { short }
}

/// The next length up that a maker can pull off the spool by the metre stick, mm.
///
/// ```
/// use lorimant_core::words::length::{LengthUnit, pulled_mm};
///
/// assert_eq!(pulled_mm(1043.2, LengthUnit::Mm), 1050.0);
/// assert_eq!(pulled_mm(25.4, LengthUnit::Inch), 25.4);
/// ```
#[must_use]
pub fn pulled_mm(mm: f64, unit: LengthUnit) -> f64 {
    let step = pull_step_mm(mm, unit);
    (mm / step - 1e-9).ceil() * step
}

/// A pull off the spool as the metre stick or tape reads it: `840 mm`, `2.3 m`, `7 ft 6 1/2 in`.
///
/// ```
/// use lorimant_core::words::length::{LengthUnit, pull};
///
/// assert_eq!(pull(840.0, LengthUnit::Mm), "840 mm");
/// assert_eq!(pull(12_400.0, LengthUnit::Mm), "12.4 m");
/// assert_eq!(pull(90.5 * 25.4, LengthUnit::Inch), "7 ft 6 1/2 in");
/// ```
#[must_use]
pub fn pull(mm: f64, unit: LengthUnit) -> String {
    let step = pull_step_mm(mm, unit);
    let mm = (mm / step).round() * step;
    match unit {
        LengthUnit::Mm if mm < 1000.0 => text!("length-mm-2", mm = fixed(mm, 0)),
        LengthUnit::Mm => format!("{} m", shown(mm / 1000.0, if mm < 10_000.0 { 2 } else { 1 })),
        LengthUnit::Inch => {
            let halves = (mm / MM_PER_INCH * 2.0).round();
            let feet = (halves / 24.0).floor();
            let inches = (halves - 24.0 * feet) * MM_PER_INCH / 2.0;
            let inches =
                inch_fraction(inches).filter(|_| inches > 0.0).map(|inches| text!("length-in", inches));
            match (feet > 0.0, inches) {
                (true, Some(inches)) => text!("length-ft", feet = fixed(feet, 0), inches),
                (true, None) => text!("length-ft-2", feet = fixed(feet, 0)),
                (false, inches) => inches.unwrap_or_else(|| text!("length-0-in").to_owned()),
            }
        }
    }
}

/// The mark on a steel ruler that is nearest to a length, mm: half millimetres, or 32nds of an inch.
///
/// ```
/// use lorimant_core::words::length::{LengthUnit, ruler_mark_mm};
///
/// assert_eq!(ruler_mark_mm(61.3, LengthUnit::Mm), 61.5);
/// assert_eq!(ruler_mark_mm(12.5, LengthUnit::Inch), 12.7);
/// ```
#[must_use]
pub fn ruler_mark_mm(mm: f64, unit: LengthUnit) -> f64 {
    let step = ruler_step_mm(unit);
    (mm / step).round() * step
}

/// A length as a steel ruler shows it, in the unit read first: `61.5 mm`, `2 7/16 in`. What is smaller than its marks is
/// said as a caliper reads it.
///
/// ```
/// use lorimant_core::words::length::{LengthUnit, on_ruler};
///
/// assert_eq!(on_ruler(61.32, LengthUnit::Mm), "61.5 mm");
/// assert_eq!(on_ruler(61.9125, LengthUnit::Inch), "2 7/16 in");
/// assert_eq!(on_ruler(12.5, LengthUnit::Inch), "1/2 in");
/// assert_eq!(on_ruler(0.3, LengthUnit::Mm), "0.3 mm");
/// ```
pub fn on_ruler(mm: f64, unit: LengthUnit) -> String {
    if mm.abs() < ruler_step_mm(unit) {
        return caliper(mm, unit);
    }
    let marked = ruler_mark_mm(mm, unit);
    match (unit, inch_fraction(marked)) {
        // Longer than a ruler, it is measured by the metre stick.
        (LengthUnit::Mm, _) if marked >= 1000.0 => pull(mm, unit),
        (LengthUnit::Mm, _) => text!("length-mm-3", marked = shown(marked, 1)),
        (LengthUnit::Inch, Some(fraction)) => text!("length-in-2", fraction),
        (LengthUnit::Inch, None) => inches(marked),
    }
}

/// What a caliper's reading is rounded to, mm: a tenth, or half that below 2 mm, where a fit needs it. Of inches a
/// hundredth, or a thousandth below 2 mm.
#[must_use]
pub fn caliper_step_mm(mm: f64, unit: LengthUnit) -> f64 {
    match (unit, mm.abs() < 2.0) {
        (LengthUnit::Mm, false) => 0.1,
        (LengthUnit::Mm, true) => 0.05,
        (LengthUnit::Inch, false) => 0.01 * MM_PER_INCH,
        (LengthUnit::Inch, true) => 0.001 * MM_PER_INCH,
    }
}

/// A size as a caliper is read at the bench, in the unit read first: `3.9 mm`, `0.15 in`. The exact figure is in the
/// working.
///
/// ```
/// use lorimant_core::words::length::{LengthUnit, caliper};
///
/// assert_eq!((caliper(3.912, LengthUnit::Mm), caliper(3.912, LengthUnit::Inch)), ("3.9 mm".into(), "0.15 in".into()));
/// assert_eq!(caliper(0.33, LengthUnit::Mm), "0.35 mm");
/// ```
pub fn caliper(mm: f64, unit: LengthUnit) -> String {
    format!("{} {}", caliper_number(mm, unit), unit.shown())
}

/// The number of [`caliper`] without its unit, for sizes that share one: `6 × 4.1 mm`.
pub fn caliper_number(mm: f64, unit: LengthUnit) -> String {
    let step = caliper_step_mm(mm, unit);
    let read = (mm / step).round() * step;
    // Too small for the step, it is said as it is rather than as nothing.
    let read = if read == 0.0 { mm } else { read };
    match unit {
        LengthUnit::Mm => shown(read, 2),
        LengthUnit::Inch if mm.abs() < 2.0 => format!("{:.3}", read / MM_PER_INCH),
        LengthUnit::Inch => format!("{:.2}", read / MM_PER_INCH),
    }
}

/// The thickness of wire, of a saw blade or of what is hammered, as a micrometer or a label gives it: `0.81 mm`,
/// `0.032 in`.
///
/// ```
/// use lorimant_core::words::length::{LengthUnit, thickness};
///
/// assert_eq!((thickness(0.812, LengthUnit::Mm), thickness(0.812, LengthUnit::Inch)), ("0.81 mm".into(), "0.032 in".into()));
/// ```
#[must_use]
pub fn thickness(mm: f64, unit: LengthUnit) -> String {
    match unit {
        LengthUnit::Mm => text!("length-mm-2", mm = shown(mm, 2)),
        LengthUnit::Inch => text!("length-in-3", mm = fixed(mm / MM_PER_INCH, 3)),
    }
}

/// A size in both units, where a rule that knows no workshop refuses something: `6.2 mm (0.244 in)`.
///
/// ```
/// use lorimant_core::words::length::both;
///
/// assert_eq!(both(6.2), "6.2 mm (0.244 in)");
/// ```
pub fn both(mm: f64) -> String {
    text!("length-mm-in-3", mm = shown(mm, 2), mm2 = fixed(mm / MM_PER_INCH, 3))
}

/// A length in inches, to the thousandth below a foot; in feet and inches above.
///
/// ```
/// use lorimant_core::words::length::inches;
///
/// assert_eq!((inches(25.4), inches(330.2)), ("1.000 in".into(), "1 ft 1.0 in".into()));
/// ```
pub fn inches(mm: f64) -> String {
    let inch = mm / MM_PER_INCH;
    if inch < 12.0 {
        text!("length-in-4", inch = fixed(inch, 3))
    } else {
        let feet = (inch / 12.0).floor();
        text!("length-ft-in", feet = shown(feet, 0), inch = fixed(inch - 12.0 * feet, 1))
    }
}

/// A long length with the unit it is best read in: mm up to a metre, then metres.
pub fn long_length(mm: f64) -> (String, &'static str) {
    if mm < 1000.0 { (format!("{mm:.1}"), "mm") } else { (format!("{:.2}", mm / 1000.0), "m") }
}

/// Whether a size in brackets says the same in another unit, but for its rounding.
pub(crate) fn same_but_rounded(mm: f64, bracket: f64) -> bool {
    (mm / bracket - 1.0).abs() < 0.005
}

/// Parses a length or gauge at the head of `input` (lower case), leaving the rest.
pub(crate) fn typed(input: &mut &str) -> ModalResult<Typed> {
    alt((slashed_gauge, gauge_first, number_with_unit)).parse_next(input)
}

/// `AWG 18`: the system before its number.
fn gauge_first(input: &mut &str) -> ModalResult<Typed> {
    let system = alt(("awg".value(GaugeSystem::Awg), "swg".value(GaugeSystem::Swg)));
    let number = preceded((space0, opt(one_of(['#', ':'])), space0), digit1.parse_to::<i32>());
    (system, terminated(number, word_end))
        .map(|(system, number)| Typed::Gauge(system, number))
        .parse_next(input)
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
    let Amount { value: n, fraction } = number::amount(input)?;
    let whole = n.fract() == 0.0 && n.abs() < 1000.0;
    if whole && let Some(system) = opt(preceded(space0, gauge_word)).parse_next(input)? {
        #[expect(clippy::cast_possible_truncation, reason = "whole and below a thousand")]
        let number = n as i32;
        return Ok(system.map_or(Typed::BareGauge(number), |s| Typed::Gauge(s, number)));
    }
    let unit = opt(preceded(space0, unit_mm)).parse_next(input)?;
    Ok(match unit {
        Some(mm) => Typed::Mm(n * mm),
        None if fraction => Typed::Fraction(n),
        None => Typed::Bare(n),
    })
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
                alt(("feet", "foot", "ft.", "ft")).value(12.0 * MM_PER_INCH),
                alt(("yards", "yard", "yds", "yd")).value(36.0 * MM_PER_INCH),
            )),
            word_end,
        ),
        alt(("\"", "″", "''", "”", "“")).value(MM_PER_INCH),
        alt(("'", "′")).value(12.0 * MM_PER_INCH),
    ))
    .parse_next(input)
}
