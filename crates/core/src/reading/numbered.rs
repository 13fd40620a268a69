//! Rods that are known by a number or a letter: knitting needles and drill bits.

use winnow::ascii::{digit1, multispace0};
use winnow::combinator::{alt, opt, terminated};
use winnow::prelude::*;

use crate::tool::mandrel::Mandrel;
use crate::words::gauge::MM_PER_INCH;
use crate::words::{backtrack, word_end};
use lorimant_text::text;

/// Knitting needles by their US number, mm.
const US_NEEDLES: [(&str, f64); 18] = [
    ("0", 2.0),
    ("1", 2.25),
    ("2", 2.75),
    ("3", 3.25),
    ("4", 3.5),
    ("5", 3.75),
    ("6", 4.0),
    ("7", 4.5),
    ("8", 5.0),
    ("9", 5.5),
    ("10", 6.0),
    ("10 1/2", 6.5),
    ("10.5", 6.5),
    ("11", 8.0),
    ("13", 9.0),
    ("15", 10.0),
    ("17", 12.0),
    ("19", 15.0),
];

/// Knitting needles by their UK number, mm.
const UK_NEEDLES: [(&str, f64); 17] = [
    ("000", 10.0),
    ("00", 9.0),
    ("0", 8.0),
    ("1", 7.5),
    ("2", 7.0),
    ("3", 6.5),
    ("4", 6.0),
    ("5", 5.5),
    ("6", 5.0),
    ("7", 4.5),
    ("8", 4.0),
    ("9", 3.75),
    ("10", 3.25),
    ("11", 3.0),
    ("12", 2.75),
    ("13", 2.25),
    ("14", 2.0),
];

/// Number drills from 1 on, in thousandths of an inch.
const DRILLS_MIL: [f64; 60] = [
    228.0, 221.0, 213.0, 209.0, 205.5, 204.0, 201.0, 199.0, 196.0, 193.5, 191.0, 189.0, 185.0, 182.0, 180.0,
    177.0, 173.0, 169.5, 166.0, 161.0, 159.0, 157.0, 154.0, 152.0, 149.5, 147.0, 144.0, 140.5, 136.0, 128.5,
    120.0, 116.0, 113.0, 111.0, 110.0, 106.5, 104.0, 101.5, 99.5, 98.0, 96.0, 93.5, 89.0, 86.0, 82.0, 81.0,
    78.5, 76.0, 73.0, 70.0, 67.0, 63.5, 59.5, 55.0, 52.0, 46.5, 43.0, 42.0, 41.0, 40.0,
];

/// Letter drills from A to Z, in thousandths of an inch.
const LETTERS_MIL: [f64; 26] = [
    234.0, 238.0, 242.0, 246.0, 250.0, 257.0, 261.0, 266.0, 272.0, 277.0, 281.0, 290.0, 295.0, 302.0, 316.0,
    323.0, 332.0, 339.0, 348.0, 358.0, 368.0, 377.0, 386.0, 397.0, 404.0, 413.0,
];

/// `us 8 needle`, `uk size 6 knitting needle`, `number 30 drill bit`, `#30 drill`, `letter F drill`.
///
/// ```
/// use lorimant_core::reading::rod::read;
/// use lorimant_core::tool::workshop::Workshop;
///
/// let rod = |text: &str| read(text, &Workshop::default()).unwrap().diameter_mm;
/// assert_eq!(rod("US 8 knitting needle"), 5.0);
/// assert_eq!(rod("UK 6 needle"), 5.0);
/// assert_eq!(rod("10 1/2 knitting needle"), 6.5);
/// assert!((rod("#30 drill bit") - 3.264).abs() < 1e-3);
/// assert!((rod("letter F drill") - 6.528).abs() < 1e-3);
/// ```
pub(super) fn numbered(input: &mut &str) -> ModalResult<Mandrel> {
    alt((needle, half_needle, drill, letter_drill)).parse_next(input)
}

fn named(mm: f64, name: String) -> Mandrel {
    Mandrel { name: Some(name), ..Mandrel::round((mm * 1000.0).round() / 1000.0) }
}

fn size_word(input: &mut &str) -> ModalResult<()> {
    opt(terminated(alt(("size", "no.", "no", "number", "#")), multispace0)).void().parse_next(input)
}

fn needle_word(input: &mut &str) -> ModalResult<()> {
    multispace0.parse_next(input)?;
    terminated(alt(("knitting needles", "knitting needle", "needles", "needle")), word_end)
        .void()
        .parse_next(input)
}

fn needle(input: &mut &str) -> ModalResult<Mandrel> {
    size_word.parse_next(input)?;
    let system =
        terminated(alt(("us", "u.s.", "american", "uk", "u.k.", "british")), word_end).parse_next(input)?;
    multispace0.parse_next(input)?;
    size_word.parse_next(input)?;
    let us = system.starts_with('u') && system.contains('s') || system == "american";
    let table: &[(&str, f64)] = if us { &US_NEEDLES } else { &UK_NEEDLES };
    let number = one_of(input, table).ok_or_else(backtrack)?;
    needle_word.parse_next(input)?;
    Ok(named(number.1, text!("numbered-needle", us, number = number.0)))
}

/// `10 1/2 needle`: only American needles have halves.
fn half_needle(input: &mut &str) -> ModalResult<Mandrel> {
    size_word.parse_next(input)?;
    let halves: Vec<(&str, f64)> =
        US_NEEDLES.iter().copied().filter(|(written, _)| written.contains(['/', '.'])).collect();
    let number = one_of(input, &halves).ok_or_else(backtrack)?;
    needle_word.parse_next(input)?;
    Ok(named(number.1, text!("numbered-us-needle", number = number.0)))
}

/// The longest written number of a table at the head of the input.
fn one_of<'t>(input: &mut &str, table: &[(&'t str, f64)]) -> Option<(&'t str, f64)> {
    let heads = |written: &str| {
        input.starts_with(written)
            && !input[written.len()..].starts_with(|c: char| c.is_ascii_digit() || "./".contains(c))
    };
    let found =
        table.iter().filter(|(written, _)| heads(written)).max_by_key(|(written, _)| written.len())?;
    *input = &input[found.0.len()..];
    Some(*found)
}

fn drill_word(input: &mut &str) -> ModalResult<()> {
    multispace0.parse_next(input)?;
    terminated(alt(("drill bits", "drill bit", "drill shank", "drill", "bit")), word_end)
        .void()
        .parse_next(input)
}

fn drill(input: &mut &str) -> ModalResult<Mandrel> {
    // Without a word before it the number is a size: `30 mm drill`.
    let _ = terminated(alt(("number", "no.", "no", "#", "size #", "num")), multispace0).parse_next(input)?;
    let n = digit1.parse_to::<usize>().parse_next(input)?;
    drill_word.parse_next(input)?;
    let mil = n.checked_sub(1).and_then(|at| DRILLS_MIL.get(at)).ok_or_else(backtrack)?;
    Ok(named(mil * MM_PER_INCH / 1000.0, text!("numbered-number-drill", n)))
}

fn letter_drill(input: &mut &str) -> ModalResult<Mandrel> {
    let _ = terminated(alt(("letter", "size")), multispace0).parse_next(input)?;
    let letter = input.chars().next().filter(char::is_ascii_lowercase).ok_or_else(backtrack)?;
    *input = &input[1..];
    drill_word.parse_next(input)?;
    let at = usize::from(u8::try_from(letter).unwrap_or(b'a') - b'a');
    let mil = LETTERS_MIL.get(at).ok_or_else(backtrack)?;
    Ok(named(
        mil * MM_PER_INCH / 1000.0,
        text!("numbered-letter-drill", letter = letter.to_ascii_uppercase()),
    ))
}
