//! Masses as people write them, and the units they are counted in.

use winnow::ascii::space0;
use winnow::combinator::{alt, preceded, terminated};
use winnow::prelude::*;

use super::{backtrack, number, word_end};

/// Grams in an avoirdupois ounce, exact by definition.
pub const OUNCE_G: f64 = 28.349_523_125;
/// Grams in a troy ounce, exact by definition.
pub const TROY_OUNCE_G: f64 = 31.103_476_8;

/// Every unit of mass read anywhere: grams in one of it, and what it is called. Longer names stand before
/// the shorter ones they begin with.
///
/// An ounce is avoirdupois unless it is called troy; whoever reads `oz` of a precious metal says so.
pub(crate) const UNITS: &[(f64, &[&str])] = &[
    (TROY_OUNCE_G, &["troy ounces", "troy ounce", "troy oz", "oz troy", "oz t", "t oz", "ozt", "oz.t."]),
    (1000.0, &["kilograms", "kilogram", "kilos", "kilo", "kg"]),
    (0.001, &["milligrams", "mg"]),
    (1.0, &["grammes", "gramos", "gramm", "grams", "gram", "grm", "gms", "gm", "gr", "g"]),
    (TROY_OUNCE_G / 20.0, &["pennyweights", "pennyweight", "dwt"]),
    (16.0 * OUNCE_G, &["pounds", "pound", "lbs", "lb"]),
    (OUNCE_G, &["ounces", "ounce", "oz"]),
    (0.2, &["carats", "ct"]),
];

/// A unit of mass at the head of `input`, as grams in one of it.
pub(crate) fn unit(input: &mut &str) -> ModalResult<f64> {
    let found = UNITS.iter().find_map(|(grams, names)| {
        let name = names.iter().find(|name| {
            input.strip_prefix(**name).is_some_and(|rest| !rest.starts_with(|c: char| c.is_alphanumeric()))
        })?;
        Some((*grams, name.len()))
    });
    let (grams, length) = found.ok_or_else(backtrack)?;
    *input = &input[length..];
    Ok(grams)
}

/// A mass at the head of `input`, grams.
pub(crate) fn mass(input: &mut &str) -> ModalResult<f64> {
    let half = terminated(alt(("half a ", "half an ")).value(0.5), space0);
    let amount = alt((half, number::amount.map(|amount| amount.value)));
    (amount, preceded(space0, terminated(unit, word_end))).map(|(n, grams)| n * grams).parse_next(input)
}

/// Reads a whole text as a mass; grams.
///
/// ```
/// use lorimant_core::words::mass::read;
///
/// assert_eq!(read("50 g"), Some(50.0));
/// assert_eq!(read("1 ozt"), Some(31.103_476_8));
/// assert_eq!(read("50 mm"), None);
/// ```
#[must_use]
pub fn read(text: &str) -> Option<f64> {
    let text = text.trim().to_lowercase();
    mass.parse(text.as_str()).ok()
}

/// Grams as a bench scale shows them: tenths, hundredths below 5 g.
///
/// ```
/// use lorimant_core::words::mass::on_scale;
///
/// assert_eq!((on_scale(17.283), on_scale(2.6871)), ("17.3".to_owned(), "2.69".to_owned()));
/// ```
#[must_use]
pub fn on_scale(g: f64) -> String {
    if g < 5.0 { format!("{g:.2}") } else { format!("{g:.1}") }
}
