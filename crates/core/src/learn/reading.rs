//! What an instrument sends, a line for each reading: a value, its unit, and marks for whether it stands still. A caliper, a
//! wedge that types, and fingers all end here.

use serde::Serialize;

use crate::fault::{Fault, Span};
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{Habits, LengthUnit, read as read_length};
use crate::words::number::separated;
use crate::words::quoted;
use crate::words::scale::caliper_reading;
use lorimant_text::{Text, text};

/// Readings of the same thing this far apart are jumpy, mm.
pub const JUMPY_MM: f64 = 0.03;

/// One figure out of several readings of the same place.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Steadied {
    /// The middle one, mm.
    pub mm: f64,
    /// How far apart the least and the most lie, mm.
    pub apart_mm: f64,
    /// Whether that is as still as a caliper is.
    pub steady: bool,
    /// The same in a sentence.
    pub text: String,
}

/// Marks of calipers that say that a reading stands.
const STANDS: [&str; 8] = ["st", "s", "ok", "stable", "*", "=", "abs", "inc"];
/// Marks that say that it does not.
const MOVES: [&str; 7] = ["us", "u", "unstable", "d", "motion", "~", "?"];

/// Reads a length from an instrument's line, mm: `5.08 mm`, `ST,+ 0.2000 in`, `12,34mm`. A number without a unit is none:
/// nobody knows what the instrument was set to. Units other than of length are refused by name.
///
/// ```
/// use lorimant_core::learn::reading::read_line;
///
/// assert_eq!(read_line("ST,+005.08 mm").unwrap(), 5.08);
/// assert!((read_line("0.2000 in").unwrap() - 5.08).abs() < 1e-12);
/// assert!(read_line("5.08").unwrap_err().message.contains("unit"));
/// assert!(read_line("182.31 g").unwrap_err().message.contains("not a length"));
/// assert!(read_line("US 5.08 mm").unwrap_err().message.contains("isn't still"));
/// assert!(read_line("1 2.34 mm").is_err());
/// ```
///
/// # Errors
/// A fault at `line` where there is no number, more than one, no unit of length, an unknown mark, a mark that says that it
/// moves, or a length no caliper of a bench has.
pub fn read_line(line: &str) -> Result<f64, Fault> {
    let text = line.trim().trim_matches(char::from(0)).to_lowercase();
    let wrong = |message: String| Fault::new("line", message);
    let nothing = || wrong(text!("learn-reading-not-caliper-reading-should-send", line = quoted(line)));
    if text.is_empty() || text.len() > 80 || text.chars().any(char::is_control) {
        return Err(nothing());
    }
    let start = text.find(|c: char| c.is_ascii_digit()).ok_or_else(nothing)?;
    let before = text[..start].char_indices().rfind(|(_, c)| !matches!(c, '+' | '-' | '.' | ',' | ' '));
    let start = before.map_or(0, |(at, c)| at + c.len_utf8());
    let (marks, rest) = text.split_at(start);
    for mark in marks.split([',', ';', ':', ' ', '\t']).filter(|mark| !mark.is_empty()) {
        if MOVES.contains(&mark) {
            return Err(wrong(text!("learn-reading-caliper-isnt-still-hold-steady").to_owned()));
        }
        if !STANDS.contains(&mark) {
            return Err(nothing());
        }
    }
    let rest = rest.trim_start_matches([',', ' ']);
    let end = rest
        .find(|c: char| !(c.is_ascii_digit() || matches!(c, '+' | '-' | '.' | ',' | ' ')))
        .unwrap_or(rest.len());
    let (number, unit) = rest.split_at(end);
    let number = number.trim().trim_end_matches(',').trim_end();
    let sign = if number.starts_with('-') { -1.0 } else { 1.0 };
    // A comma can only be decimal here: no caliper reaches a metre. Two figures apart are no number: one of them is not of
    // this reading.
    let value = match separated(number.trim_start_matches(['+', '-', ' '])) {
        Some((read, "")) => sign * read.value,
        _ => return Err(nothing()),
    };
    let mm = match unit.trim().trim_end_matches([',', ';']).trim() {
        "mm" => value,
        "cm" => 10.0 * value,
        "in" | "inch" | "\"" | "''" | "″" => value * MM_PER_INCH,
        "" => {
            let message = text!("learn-reading-has-no-unit-could-be", line = quoted(line));
            return Err(wrong(message));
        }
        other if other.chars().any(|c| c.is_ascii_digit()) => return Err(nothing()),
        other => {
            return Err(wrong(text!(
                "learn-reading-not-length-not-unit-length",
                line = quoted(line),
                other = quoted(other)
            )));
        }
    };
    const LENGTH: Span =
        Span { noun: Text::named("learn-reading-reading"), unit: " mm", least: 0.0, most: 300.0 };
    LENGTH.check("line", mm)
}

/// What was typed into a measuring field, or keyed there by a wedge: a line of an instrument, or a length as people write it
/// in the workshop's unit.
///
/// ```
/// use lorimant_core::learn::reading::read_typed;
/// use lorimant_core::words::length::Habits;
///
/// assert_eq!(read_typed("5.08", Habits::default()).unwrap(), 5.08);
/// assert_eq!(read_typed("ST,+005.08 mm", Habits::default()).unwrap(), 5.08);
/// assert!((read_typed("3/16\"", Habits::default()).unwrap() - 4.7625).abs() < 1e-9);
/// ```
///
/// # Errors
/// A fault at `typed` where it is neither.
pub fn read_typed(text: &str, habits: Habits) -> Result<f64, Fault> {
    const LENGTH: Span =
        Span { noun: Text::named("learn-reading-measure"), unit: " mm", least: 0.0, most: 300.0 };
    let length = read_length(text, habits).map_err(|message| Fault::new("typed", message));
    let mm = match length {
        Ok(read) => read.mm,
        Err(fault) => read_line(text).map_err(|of_line| {
            let marked = text.chars().any(char::is_alphabetic) && text.chars().any(|c| c.is_ascii_digit());
            if marked { Fault { field: "typed".to_owned(), ..of_line } } else { fault }
        })?,
    };
    LENGTH.check("typed", mm)
}

/// One figure out of readings that came one after another: the middle one, and whether they stand still.
///
/// ```
/// use lorimant_core::learn::reading::steadied;
/// use lorimant_core::words::length::LengthUnit;
///
/// assert!(steadied(&[5.08, 5.09, 5.08], LengthUnit::Mm).unwrap().steady);
/// let jumpy = steadied(&[5.08, 5.31, 4.99], LengthUnit::Mm).unwrap();
/// assert!(!jumpy.steady && jumpy.text.contains("jumps"));
/// assert_eq!(steadied(&[], LengthUnit::Mm), None);
/// ```
#[must_use]
pub fn steadied(readings: &[f64], unit: LengthUnit) -> Option<Steadied> {
    let mut sorted = readings.to_vec();
    sorted.sort_by(f64::total_cmp);
    let (least, most) = (*sorted.first()?, *sorted.last()?);
    let mm = sorted[sorted.len() / 2];
    let (apart_mm, steady) = (most - least, most - least <= JUMPY_MM + 1e-9);
    let text = match steady {
        true => text!("learn-reading-steady", mm = caliper_reading(mm, unit)),
        false => text!(
            "learn-reading-jumps-between-hold-still-close",
            least = caliper_reading(least, unit),
            most = caliper_reading(most, unit)
        ),
    };
    Some(Steadied { mm, apart_mm, steady, text })
}
