//! Numbers as people write them: `5`, `.040`, `1,5`, `3/16`, `2 1/4`, `2½`, `1,200`, `twelve`, `2 dozen`.
//!
//! Every reader of lengths, masses, counts and prices takes its numbers from here.

use rust_decimal::Decimal;
use winnow::ascii::{digit1, space1};
use winnow::combinator::{alt, opt, preceded, terminated};
use winnow::prelude::*;
use winnow::token::one_of;

use super::{backtrack, quoted};
use lorimant_text::text;

/// Numbers that have a name, and what multiplies them.
const NAMED: &[(&str, f64)] = &[
    ("twenty-five", 25.0),
    ("seventeen", 17.0),
    ("thirteen", 13.0),
    ("fourteen", 14.0),
    ("eighteen", 18.0),
    ("nineteen", 19.0),
    ("fifteen", 15.0),
    ("sixteen", 16.0),
    ("seventy", 70.0),
    ("hundred", 100.0),
    ("couple", 2.0),
    ("eleven", 11.0),
    ("twelve", 12.0),
    ("twenty", 20.0),
    ("thirty", 30.0),
    ("eighty", 80.0),
    ("ninety", 90.0),
    ("three", 3.0),
    ("seven", 7.0),
    ("eight", 8.0),
    ("forty", 40.0),
    ("fifty", 50.0),
    ("sixty", 60.0),
    ("four", 4.0),
    ("five", 5.0),
    ("nine", 9.0),
    ("one", 1.0),
    ("two", 2.0),
    ("six", 6.0),
    ("ten", 10.0),
];
const MULTIPLES: &[(&str, f64)] =
    &[("dozens", 12.0), ("dozen", 12.0), ("hundred", 100.0), ("thousand", 1000.0), ("gross", 144.0)];

/// A number, and how it was written.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Amount {
    /// Its value, in the unit that was written.
    pub value: f64,
    /// Whether it was written as a fraction: `5/32`, `2 1/4`, `½`.
    pub fraction: bool,
}

/// A number with decimals, a fraction, or both, at the head of `input`.
pub(crate) fn amount(input: &mut &str) -> ModalResult<Amount> {
    let fraction = |input: &mut &str| -> ModalResult<f64> {
        let slashed =
            (digit1.parse_to::<f64>(), alt(('/', '⁄')), digit1.parse_to::<f64>().verify(|d| *d != 0.0))
                .map(|(over, _, under)| over / under);
        alt((slashed, vulgar)).parse_next(input)
    };
    let whole = || digit1.parse_to::<f64>();
    let mixed = alt((
        (whole(), alt((space1, "-")), fraction).map(|(n, _, f)| n + f),
        (whole(), vulgar).map(|(n, f)| n + f),
    ));
    let as_amount = |value: f64| Amount { value, fraction: true };
    alt((
        mixed.map(as_amount),
        fraction.map(as_amount),
        with_point.map(|value| Amount { value, fraction: false }),
    ))
    .parse_next(input)
}

/// The fractions that have a letter of their own.
fn vulgar(input: &mut &str) -> ModalResult<f64> {
    alt((
        '½'.value(0.5),
        '¼'.value(0.25),
        '¾'.value(0.75),
        '⅛'.value(0.125),
        '⅜'.value(0.375),
        '⅝'.value(0.625),
        '⅞'.value(0.875),
        '⅓'.value(1.0 / 3.0),
        '⅔'.value(2.0 / 3.0),
    ))
    .parse_next(input)
}

fn with_point(input: &mut &str) -> ModalResult<f64> {
    let point = || one_of(['.', ',']);
    let sign = || opt(one_of(['-', '−']));
    let text = alt(((sign(), digit1, opt((point(), opt(digit1)))).take(), (sign(), point(), digit1).take()))
        .parse_next(input)?;
    Ok(text.replace(',', ".").replace('−', "-").parse().unwrap_or(f64::NAN))
}

/// A whole number at the head of `input`: digits, thousands parted by a comma, or a word.
pub(crate) fn count(input: &mut &str) -> ModalResult<f64> {
    let digits = alt((thousands, digit1.parse_to::<f64>()));
    let article = opt(terminated(alt(("an", "a")), space1));
    let dozens = (alt((digits, named)), opt(preceded(space1, multiple))).map(|(n, by)| n * by.unwrap_or(1.0));
    let half = preceded((opt("a "), "half ", opt("a ")), multiple).map(|by| by / 2.0);
    alt((half, dozens, preceded(article, multiple))).parse_next(input)
}

/// `1,200` and `12,500`: a comma before each three digits, and no digit or point behind them.
fn thousands(input: &mut &str) -> ModalResult<f64> {
    let end = input.find(|c: char| !c.is_ascii_digit() && c != ',').unwrap_or(input.len());
    let (text, rest) = input.split_at(end);
    let mut groups = text.split(',');
    let first = groups.next().unwrap_or_default();
    let parted = (1..=3).contains(&first.len()) && !first.starts_with('0') && text.contains(',');
    let whole = parted && groups.all(|group| group.len() == 3) && !rest.starts_with('.');
    let value = text.replace(',', "").parse().ok().filter(|_| whole);
    let value = value.ok_or_else(backtrack)?;
    *input = rest;
    Ok(value)
}

fn named(input: &mut &str) -> ModalResult<f64> {
    one_of_words(input, NAMED)
}

fn multiple(input: &mut &str) -> ModalResult<f64> {
    one_of_words(input, MULTIPLES)
}

fn one_of_words(input: &mut &str, words: &[(&str, f64)]) -> ModalResult<f64> {
    let found = words.iter().find(|(word, _)| {
        input
            .strip_prefix(word)
            .is_some_and(|rest| !rest.starts_with(|c: char| c.is_alphanumeric() || c == '-'))
    });
    let (word, value) = found.ok_or_else(backtrack)?;
    *input = &input[word.len()..];
    Ok(*value)
}

/// Every word that is a number, for telling a misspelt word from a known one.
pub(crate) fn words() -> impl Iterator<Item = &'static str> {
    NAMED.iter().chain(MULTIPLES).map(|(word, _)| *word)
}

/// A number whose separators may be read in two ways: `1,250` is 1.25 to some and 1250 to others.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Separated {
    /// The likelier number: with a decimal comma.
    pub value: f64,
    /// The number if the comma parts thousands.
    pub thousands: Option<f64>,
}

/// A number with separators at the head of a text, and what follows it: `1,250.00` and `1.250,00` say which
/// separator is which, `12,5` can only be decimal, `1,250` is left open.
///
/// ```
/// use lorimant_core::words::number::separated;
///
/// let (number, rest) = separated("1,250 g").unwrap();
/// assert_eq!((number.value, number.thousands, rest), (1.25, Some(1250.0), " g"));
/// assert_eq!(separated("1.250,50").unwrap().0.value, 1250.5);
/// assert_eq!(separated("12,50").unwrap().0.thousands, None);
/// ```
#[must_use]
pub fn separated(text: &str) -> Option<(Separated, &str)> {
    let end = text.find(|c: char| !c.is_ascii_digit() && c != '.' && c != ',').unwrap_or(text.len());
    let written = text[..end].trim_end_matches(['.', ',']);
    let rest = &text[written.len()..];
    let plain = |text: &str| text.parse::<f64>().ok();
    let comma = |text: &str| plain(&text.replace('.', "").replace(',', "."));
    let point = |text: &str| plain(&text.replace(',', ""));
    // Thousands are parted in threes, all the way, in front of the decimal sign.
    let parted = |text: &str, sign: char| {
        let mut groups = text.split(sign);
        let first = groups.next().unwrap_or_default();
        (1..=3).contains(&first.len()) && groups.all(|group| group.len() == 3 && !group.contains(['.', ',']))
    };
    let whole = match (written.rfind(','), written.rfind('.')) {
        (Some(comma), Some(dot)) if comma > dot => parted(&written[..comma], '.'),
        (Some(_), Some(dot)) => parted(&written[..dot], ','),
        (Some(_), None) if written.matches(',').count() > 1 => parted(written, ','),
        (None, Some(_)) if written.matches('.').count() > 1 => parted(written, '.'),
        _ => true,
    };
    if !whole {
        return None;
    }
    let value = match (written.rfind(','), written.rfind('.')) {
        // With both, the last is the decimal sign.
        (Some(at), Some(dot)) => (if at > dot { comma(written) } else { point(written) }, None),
        (Some(_), None) if written.matches(',').count() > 1 => (point(written), None),
        (None, Some(_)) if written.matches('.').count() > 1 => (comma(written), None),
        (Some(at), None) => {
            let grouped = written.len() - at == 4 && (1..=3).contains(&at) && !written.starts_with('0');
            (comma(written), grouped.then(|| point(written)).flatten())
        }
        (None, _) => (plain(written), None),
    };
    let (value, thousands) = (value.0?, value.1);
    value.is_finite().then_some((Separated { value, thousands }, rest))
}

/// Reads a whole text as one number.
///
/// ```
/// use lorimant_core::words::number::read;
///
/// assert_eq!(read("2 1/4"), Some(2.25));
/// assert_eq!(read("2,5"), Some(2.5));
/// assert_eq!(read("two"), None);
/// ```
#[must_use]
pub fn read(text: &str) -> Option<f64> {
    let amount = amount.parse(text.trim()).ok()?;
    Some(amount.value).filter(|value| value.is_finite())
}

/// Reads a whole text as one number that cannot be taken for another, as a field of a form takes it: a sign,
/// decimals with a point or a comma, thousands, a fraction.
///
/// ```
/// use lorimant_core::words::number::unmistakable;
///
/// assert_eq!(unmistakable("12,5"), Ok(12.5));
/// assert_eq!(unmistakable("1,250.00"), Ok(1250.0));
/// assert_eq!(unmistakable("1,250").unwrap_err(), "“1,250” could be 1.25 or 1250. Write it as one of these.");
/// ```
///
/// # Errors
/// A sentence where it is no number, or where a comma may be either sign.
pub fn unmistakable(text: &str) -> Result<f64, String> {
    let whole = separated(text.trim()).filter(|(_, rest)| rest.is_empty());
    match whole {
        Some((Separated { value, thousands: Some(thousands) }, _)) => {
            Err(text!("number-could-be-or-write-as", text = quoted(text), value, thousands))
        }
        Some((Separated { value, .. }, _)) => Ok(value),
        None => read(text).ok_or_else(|| text!("number-not-number-write-as-12", text = quoted(text))),
    }
}

/// The same to the last figure that is written, as money is kept.
///
/// ```
/// use lorimant_core::words::number::decimal;
///
/// assert_eq!(decimal("14,80").unwrap().to_string(), "14.80");
/// assert_eq!(decimal("1,250,000").unwrap().to_string(), "1250000");
/// ```
///
/// # Errors
/// As [`unmistakable`]; and where it is larger than money can be.
pub fn decimal(text: &str) -> Result<Decimal, String> {
    let text = text.trim();
    if let Ok(exact) = text.parse() {
        return Ok(exact);
    }
    let value = unmistakable(text)?;
    let places = text.rfind(['.', ',']).map_or(0, |at| text.len() - at - 1);
    let places =
        if value.fract() == 0.0 && places == 3 { 0 } else { u32::try_from(places).unwrap_or(0).min(6) };
    let mut exact = Decimal::from_f64_retain(value)
        .ok_or_else(|| text!("number-too-large-for-amount-money", text = quoted(text)))?;
    exact.rescale(places);
    Ok(exact)
}

/// Reads a whole text as a whole number.
///
/// ```
/// use lorimant_core::words::number::read_count;
///
/// assert_eq!(read_count("1,200"), Some(1200.0));
/// assert_eq!(read_count("two dozen"), Some(24.0));
/// assert_eq!(read_count("2.5"), None);
/// ```
#[must_use]
pub fn read_count(text: &str) -> Option<f64> {
    let text = text.trim().to_lowercase();
    count.parse(text.as_str()).ok()
}
