//! A scale's line of text, read.
//!
//! Scales send a line for each reading, with or without marks for whether they are at rest, which weight it is (gross,
//! net) and what went wrong. The whole line must be understood: a mark that is passed over could be the one that says
//! that the figure is none.

use crate::fault::{Fault, Span};
use crate::words::number::{Separated, separated};
use crate::words::{mass, quoted};
use lorimant_text::{Text, text};

/// A grain, as scales name it; elsewhere `gr` is a gram.
const GRAIN: (&str, f64) = ("gr", 0.064_798_91);

/// What a mark before or behind the number says.
#[derive(Clone, Copy, PartialEq)]
enum Mark {
    AtRest,
    Moving,
    TooMuch,
    TooLittle,
    Broken,
    /// Which weight it is; the weighing asks for what lies on the pan, whatever it is called.
    Which,
}

const MARKS: &[(Mark, &[&str])] = &[
    (Mark::AtRest, &["s", "st", "ss", "stable", "ok", "*", "="]),
    (Mark::Moving, &["d", "u", "us", "sd", "su", "unstable", "m", "motion", "?", "~"]),
    (Mark::TooMuch, &["ol", "+ol", "oh", "h", "hi", "over", "overload", "s+"]),
    (Mark::TooLittle, &["ul", "-ol", "l", "lo", "under", "underload", "s-"]),
    (Mark::Broken, &["err", "error", "i", "es", "et", "el"]),
    (
        Mark::Which,
        &[
            "g", "n", "t", "b", "gs", "nt", "tr", "gross", "net", "tare", "brutto", "netto", "w", "wt",
            "weight",
        ],
    ),
];

impl Mark {
    fn of(word: &str) -> Option<Self> {
        let word = word.trim_end_matches(':');
        let known = MARKS.iter().find(|(_, words)| words.contains(&word)).map(|(mark, _)| *mark);
        let filled = word.len() > 1 && word.chars().all(|c| "-_^=".contains(c));
        let numbered = |name: &str| {
            word.strip_prefix(name)
                .is_some_and(|n| !n.is_empty() && n.chars().all(|c| c.is_ascii_digit() || "-.".contains(c)))
        };
        match known {
            Some(mark) => Some(mark),
            None if filled && word.contains('^') => Some(Self::TooMuch),
            None if filled && word.contains('_') => Some(Self::TooLittle),
            None if filled || numbered("e") || numbered("err") || numbered("error") => Some(Self::Broken),
            None => None,
        }
    }

    /// Why a line with this mark gives no weight.
    fn refusal(self) -> Option<&'static str> {
        match self {
            Self::AtRest | Self::Which => None,
            Self::Moving => Some(text!("scale-scale-not-steady-yet-wait")),
            Self::TooMuch => Some(text!("scale-scale-overloaded-take-some-weight")),
            Self::TooLittle => Some(text!("scale-scales-pan-off-or-lifted")),
            Self::Broken => Some(text!("scale-scale-reports-fault-gives-no")),
        }
    }
}

/// Reads a weight from a scale's line, or as it is typed: `182.31 g`, `+0.4021 kg`, `ST,GS,+  12,5 g`, `.82`.
/// A number without a unit is grams. Grams.
///
/// # Errors
/// A fault at `typed` where there is no number, more than one, a unit or a mark that is not known, where a comma may
/// be either sign, or where the scale says that it is not at rest, over or under its range, or broken.
///
/// ```
/// use lorimant_core::rack::stock::scale::read;
///
/// assert_eq!(read("S 12,5g").unwrap(), 12.5);
/// assert_eq!(read(".82 g").unwrap(), 0.82);
/// assert!(read("S D 12.5 g").unwrap_err().message.contains("not steady"));
/// assert!(read("12 apples").is_err());
/// ```
pub fn read(line: &str) -> Result<f64, Fault> {
    const MASS: Span = Span { noun: Text::named("scale-weight"), unit: " g", least: 0.0, most: 1_000_000.0 };
    // Control signs stand round some lines; a minus is written in many ways.
    let plain = |c: char| match c {
        '−' | '–' | '—' | '﹣' | '－' => '-',
        c if c.is_control() || c.is_whitespace() => ' ',
        c => c,
    };
    let text: String = line.trim().to_lowercase().chars().map(plain).collect();
    let message = quoted(line.trim());
    let fault = |sentence: String| Fault::new("typed", sentence);
    let nothing = || fault(text!("scale-not-weight-enter-one-such", message));
    let (marks, rest) = marks_before(text.trim());
    let (negative, signed, rest) = sign(rest);
    let Some((number, rest)) = separated(rest).filter(|_| starts_number(rest)) else {
        // No figure: a sign alone says over or under the range.
        let alone = rest.trim().is_empty() && signed && !marks.is_empty();
        let over = alone.then_some(if negative { Mark::TooLittle } else { Mark::TooMuch });
        let why = marks.into_iter().chain(over).find_map(Mark::refusal);
        return Err(why.filter(|_| rest.trim().is_empty()).map_or_else(nothing, |why| fault(why.to_owned())));
    };
    let (unit, after) = unit_g(rest.trim_start(), &nothing)?;
    let after: Option<Vec<Mark>> = after.split_whitespace().map(Mark::of).collect();
    let all = marks.iter().copied().chain(after.ok_or_else(nothing)?);
    if let Some(why) = all.into_iter().find_map(Mark::refusal) {
        return Err(fault(why.to_owned()));
    }
    // Scales part no thousands; a person may.
    let grams = match number {
        Separated { value, thousands: Some(thousands) } if marks.is_empty() && !signed => {
            return Err(fault(text!("scale-could-be-or-write-as", message, value, thousands)));
        }
        Separated { value, .. } => value * unit,
    };
    if negative && grams > 0.0 {
        return Err(fault(text!("scale-below-zero-zero-scale-first", message)));
    }
    MASS.check("typed", grams)
}

fn starts_number(text: &str) -> bool {
    text.trim_start_matches(['.', ',']).starts_with(|c: char| c.is_ascii_digit())
        && text.len() - text.trim_start_matches(['.', ',']).len() <= 1
}

/// The marks at the head of a line, parted by blanks or commas, and what follows them.
fn marks_before(text: &str) -> (Vec<Mark>, &str) {
    let (mut marks, mut rest) = (vec![], text);
    loop {
        let end = rest.find([' ', ',']).unwrap_or(rest.len());
        // A sign may stand before its number, or for a reading out of range.
        let word = &rest[..end];
        let Some(mark) = Mark::of(word).filter(|_| !word.is_empty()) else { return (marks, rest) };
        marks.push(mark);
        rest = rest[end..].trim_start_matches([' ', ',']);
    }
}

/// Whether a minus stands at the head, whether any sign does, and what follows.
fn sign(text: &str) -> (bool, bool, &str) {
    match text.strip_prefix(['+', '-']) {
        Some(rest) => (text.starts_with('-'), true, rest.trim_start()),
        None => (false, false, text),
    }
}

/// Grams in the unit at the head of a text, and what follows it; grams where there is none.
fn unit_g<'a>(text: &'a str, nothing: &impl Fn() -> Fault) -> Result<(f64, &'a str), Fault> {
    let word_end = text.find(|c: char| !c.is_alphabetic()).unwrap_or(text.len());
    let word = &text[..word_end];
    if word == GRAIN.0 {
        return Ok((GRAIN.1, &text[word_end..]));
    }
    let mut rest = text;
    if let Ok(grams) = mass::unit(&mut rest) {
        return Ok((grams, rest));
    }
    if text.is_empty() || Mark::of(text.split_whitespace().next().unwrap_or_default()).is_some() {
        return Ok((1.0, text));
    }
    if word.is_empty() {
        return Err(nothing());
    }
    let message = text!("scale-not-unit-weight-use-g", word = quoted(word));
    Err(Fault::new("typed", message))
}
