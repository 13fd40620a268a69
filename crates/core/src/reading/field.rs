//! What is typed into the fields of a form, each read as what it asks for.
//!
//! Forms hand their texts over as they stand; what cannot be read, or can be read in two ways, comes back as a
//! fault at its field. Nothing typed is nothing, unless it is needed.

use jiff::civil::Time;
use rust_decimal::Decimal;
use serde::{Deserialize, Serialize};

use super::clock;
use crate::fault::{Fault, Faults};
use crate::wire::Wire;
use crate::words::length::{self, Habits};
use crate::words::number::{self, unmistakable};
use crate::words::{mass, quoted, words};
use lorimant_text::text;

words! {
    /// What a field asks for.
    pub enum Reads ("reads") {
        /// A length, written in any way; mm.
        Length = "length";
        /// A length left over, with a minus before it where it was missing; mm.
        Over = "over";
        /// Several lengths with commas or semicolons between; mm.
        Lengths = "lengths";
        /// A length or a weight of the form's wire; mm.
        OfWire = "of-wire";
        /// A weight, grams where no unit is written; g.
        Mass = "mass";
        /// An amount of money in the workshop's currency.
        Money = "money";
        /// Hundredths; given as a share, 5 % as 0.05.
        Percent = "percent";
        /// A whole number.
        Count = "count";
        /// Minutes, or hours where that is written; minutes.
        Minutes = "minutes";
        /// A time of day.
        Clock = "clock";
        /// A force; N.
        Newtons = "newtons";
    }
}

impl Reads {
    /// How one is written, for the sentence that asks for it.
    pub fn example(self) -> &'static str {
        match self {
            Self::Length => text!("field-5-mm-3-16-or"),
            Self::Over => text!("field-2-mm-or-2-mm"),
            Self::Lengths => text!("field-2-3-5-mm"),
            Self::OfWire => text!("field-3-m-10-ft-or"),
            Self::Mass => "12.5 g",
            Self::Money => "14.80",
            Self::Percent => "5",
            Self::Count => "24",
            Self::Minutes => text!("field-12-or-1-5-h"),
            Self::Clock => text!("field-18-00-or-6-pm"),
            Self::Newtons => "500 g",
        }
    }
}

/// A field of a form with what is typed into it.
#[derive(Debug, Clone, PartialEq, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct TypedField {
    /// The field's name; its fault comes back under it.
    pub field: String,
    /// What is typed.
    pub text: String,
    /// What it asks for.
    pub input: Reads,
    /// Whether the form cannot do without it.
    #[serde(default)]
    pub needed: bool,
}

/// What was read in a field. Only one of them is filled in, none where nothing was typed.
#[derive(Debug, Clone, PartialEq, Default, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct ReadField {
    /// The field's name.
    pub field: String,
    /// A number, in the unit its kind is read in.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub value: Option<f64>,
    /// Several numbers, in the unit of what was asked for.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub values: Option<Vec<f64>>,
    /// Money, to the last figure typed.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub money: Option<Decimal>,
    /// A time of day, `18:00:00`.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub time: Option<Time>,
}

/// Reads the fields of a form; weights are turned into lengths of its wire.
///
/// ```
/// use lorimant_core::reading::field::{Reads, TypedField, read};
/// use lorimant_core::words::length::Habits;
///
/// let typed = |text: &str, reads| TypedField { field: "it".into(), text: text.into(), input: reads, needed: true };
/// let habits = Habits::default();
/// let share = read(&[typed("5 %", Reads::Percent)], None, habits).unwrap();
/// assert_eq!(share[0].value, Some(0.05));
/// let faults = read(&[typed("1,250", Reads::Money)], None, habits).unwrap_err();
/// assert_eq!(faults.0[0].message, "“1,250” could be 1.25 or 1250. Write it as one of these.");
/// ```
///
/// # Errors
/// A fault at each field that cannot be read, may be read in two ways, or is needed and empty.
pub fn read(fields: &[TypedField], wire: Option<&Wire>, habits: Habits) -> Result<Vec<ReadField>, Faults> {
    let mut faults = Faults::none();
    let found =
        fields.iter().filter_map(|field| faults.keep(field.read(wire, habits))).collect::<Vec<ReadField>>();
    faults.into_result().map(|()| found)
}

impl TypedField {
    fn read(&self, wire: Option<&Wire>, habits: Habits) -> Result<ReadField, Fault> {
        let mut found = ReadField { field: self.field.clone(), ..ReadField::default() };
        let text = self.text.trim();
        let fault = |message: String| Fault::new(self.field.as_str(), message);
        if text.is_empty() {
            let message = || text!("field-nothing-entered-write-as", reads = self.input.example());
            return if self.needed { Err(fault(message())) } else { Ok(found) };
        }
        let lower = text.to_lowercase();
        let value = match self.input {
            Reads::Lengths => {
                found.values = Some(lengths(text, habits).map_err(fault)?);
                return Ok(found);
            }
            Reads::Money => {
                found.money = Some(number::decimal(text).map_err(|message| fault(self.sentence(message)))?);
                return Ok(found);
            }
            Reads::Clock => {
                found.time = Some(clock::read(text).ok_or_else(|| fault(self.sentence(String::new())))?);
                return Ok(found);
            }
            Reads::Length => a_length(&lower, habits),
            Reads::Over => match lower.strip_prefix(['-', '−']) {
                Some(missing) => a_length(missing.trim_start(), habits).map(|mm| -mm),
                None => a_length(&lower, habits),
            },
            Reads::OfWire => of_wire(text, wire, habits),
            Reads::Mass => bare(&lower, &["g"])
                .or_else(|message| mass::read(&lower).filter(|_| !either_way(&lower)).ok_or(message)),
            Reads::Percent => bare(&lower, &["%", "percent"]).map(|hundredths| hundredths / 100.0),
            Reads::Newtons => pull(&lower),
            Reads::Minutes => minutes(&lower),
            Reads::Count => number::read_count(&lower).ok_or_else(String::new),
        };
        found.value = Some(value.map_err(|message| fault(self.sentence(message)))?);
        Ok(found)
    }

    /// What is wrong, in the words of what the field asks for, unless what was said already tells more.
    fn sentence(&self, message: String) -> String {
        let tells = matches!(self.input, Reads::Length | Reads::Over | Reads::OfWire);
        if tells || (either_way(&self.text) && !matches!(self.input, Reads::Count | Reads::Clock)) {
            return message;
        }
        let (text, noun, example) = (quoted(&self.text), self.input.shown(), self.input.example());
        text!("field-not-valid-write-as", text, noun, example)
    }
}

/// A length of wire or a weight of it, as it was typed.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Amount {
    /// mm.
    Length(f64),
    /// g.
    Mass(f64),
}

/// Reads a length or a weight of wire: `3 m`, `10 ft`, `50 g`, `2 oz`.
///
/// ```
/// use lorimant_core::reading::field::{Amount, amount};
/// use lorimant_core::words::length::Habits;
///
/// assert_eq!(amount("3 m", Habits::default()), Ok(Amount::Length(3000.0)));
/// assert_eq!(amount("1,250.0 g", Habits::default()), Ok(Amount::Mass(1250.0)));
/// assert!(amount("1,250 g", Habits::default()).unwrap_err().contains("could be 1.25 or 1250"));
/// ```
///
/// # Errors
/// A sentence where it is neither, or where its comma may stand for two things.
pub fn amount(text: &str, habits: Habits) -> Result<Amount, String> {
    let lower = text.trim().to_lowercase();
    let (number, unit) = parted(&lower);
    if either_way(&lower) {
        return unmistakable(number).map(Amount::Length);
    }
    // Thousands that can only be thousands are read as such, with the unit that follows.
    let plain = match number::separated(number) {
        Some((found, "")) => format!("{} {unit}", found.value),
        _ => lower.clone(),
    };
    if let Some(grams) = mass::read(&plain) {
        return Ok(Amount::Mass(grams));
    }
    let neither = |_| text!("field-neither-length-nor-weight-try", text = quoted(text));
    length::read(plain.trim(), habits).map(|reading| Amount::Length(reading.mm)).map_err(neither)
}

/// A length, unless its comma may stand for two things.
fn a_length(text: &str, habits: Habits) -> Result<f64, String> {
    if either_way(text) {
        return unmistakable(parted(text).0);
    }
    length::read(text, habits).map(|reading| reading.mm)
}

/// A length of this wire, to the micrometre where it was given by weight.
fn of_wire(text: &str, wire: Option<&Wire>, habits: Habits) -> Result<f64, String> {
    let wire = wire.ok_or(text!("field-enter-wire-first"))?;
    Ok(match amount(text, habits)? {
        Amount::Length(mm) => mm,
        Amount::Mass(grams) => (wire.length_of_mm(grams) * 1e3).round() / 1e3,
    })
}

/// The number at the head of a text, and what follows it.
fn parted(text: &str) -> (&str, &str) {
    let end = text.find(|c: char| !c.is_ascii_digit() && c != '.' && c != ',').unwrap_or(text.len());
    (&text[..end], text[end..].trim_start())
}

/// Whether the number at the head of a text may be read with its comma as either sign.
fn either_way(text: &str) -> bool {
    number::separated(parted(text).0).is_some_and(|(number, _)| number.thousands.is_some())
}

/// A number with at most its own unit behind it.
fn bare(lower: &str, units: &[&str]) -> Result<f64, String> {
    let number = units.iter().find_map(|unit| lower.strip_suffix(unit)).unwrap_or(lower).trim_end();
    unmistakable(number)
}

fn lengths(text: &str, habits: Habits) -> Result<Vec<f64>, String> {
    // With semicolons between, a comma is a decimal sign.
    let between: &[char] = if text.contains(';') { &[';'] } else { &[','] };
    let parts: Vec<&str> = text.split(between).map(str::trim).filter(|part| !part.is_empty()).collect();
    // A unit after the last is meant for all of them.
    let unit = parts.last().map_or("", |last| parted(last).1);
    parts
        .iter()
        .map(|part| {
            let whole = if parted(part).1.is_empty() { format!("{part} {unit}") } else { (*part).to_owned() };
            length::read(whole.trim(), habits).map(|reading| reading.mm)
        })
        .collect()
}

fn minutes(lower: &str) -> Result<f64, String> {
    let hours = ["hours", "hour", "hrs", "h"].iter().find_map(|unit| lower.strip_suffix(unit));
    match hours {
        Some(number) => unmistakable(number.trim_end()).map(|hours| 60.0 * hours),
        None => bare(lower, &["minutes", "minute", "mins", "min"]),
    }
}

/// A pull in newtons: `500 g`, `0.5 kg`, `5 N`; a number alone is grams, as a scale shows what hangs on it.
fn pull(text: &str) -> Result<f64, String> {
    /// What a gram pulls with, newtons.
    const OF_A_GRAM_N: f64 = 0.009_806_65;
    let units =
        [("kg", 1000.0 * OF_A_GRAM_N), ("grams", OF_A_GRAM_N), ("gram", OF_A_GRAM_N), ("g", OF_A_GRAM_N)];
    let newtons = ["newtons", "newton", "n"].map(|unit| (unit, 1.0));
    let all = units.iter().chain(&newtons).copied();
    let with_unit = all.filter_map(|(unit, times)| Some((text.strip_suffix(unit)?, times))).next();
    let (number, times) = with_unit.unwrap_or((text, OF_A_GRAM_N));
    bare(number.trim(), &[]).map(|n| n * times)
}
