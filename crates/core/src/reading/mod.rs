//! What makers call wires and tools: the words a maker types for a metal, a temper, a rod, a way of cutting.
//!
//! Sentences are changed word by word through it, and the ask line builds on it. A word that may be two
//! things says so instead of being guessed.

pub mod clock;
pub mod day;
pub mod field;
mod numbered;
pub mod rod;

use std::sync::LazyLock;

use winnow::ascii::{digit1, multispace0};
use winnow::combinator::{alt, opt, preceded, terminated};
use winnow::prelude::*;

use crate::tool::coil::Winding;
use crate::tool::cutting::{Blade, Method};
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::Section;
use crate::wire::surface::Surface;
use crate::words::{backtrack, word_end};
use lorimant_text::Text;

/// What a word or phrase of the trade names.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Word {
    /// A metal.
    Metal(Metal),
    /// A word for more than one metal.
    Either(&'static Either),
    /// A temper.
    Temper(Temper),
    /// A section.
    Section(Section),
    /// What lies on the metal.
    Surface(Surface),
    /// A way of winding.
    Winding(Winding),
    /// A way of cutting.
    Method(Method),
    /// Pinched ends are filed.
    Filed,
}

/// A word that names more than one metal.
#[derive(Debug, PartialEq)]
pub struct Either {
    /// What is written.
    pub words: &'static [&'static str],
    /// What it may be, in a sentence.
    pub note: Text,
    /// What makers nearly always mean by it, where there is such a thing.
    pub usual: Option<Metal>,
}

/// Words for more than one metal.
pub const EITHER: &[Either] = &[
    Either {
        words: &["silver", "silber", "silberdraht", "argent", "plata"],
        note: Text::named("reading-either-silver"),
        usual: None,
    },
    Either { words: &["ss"], note: Text::named("reading-either-ss"), usual: None },
    Either { words: &["fs"], note: Text::named("reading-either-fs"), usual: None },
    Either { words: &["sf"], note: Text::named("reading-either-sf"), usual: None },
    Either { words: &["gold", "or", "oro"], note: Text::named("reading-either-gold"), usual: None },
    Either {
        words: &["bronze", "bronce"],
        note: Text::named("reading-either-bronze"),
        usual: Some(Metal::PhosphorBronze),
    },
    Either {
        words: &["steel", "stahl", "acier", "acero"],
        note: Text::named("reading-either-steel"),
        usual: None,
    },
    Either { words: &["935"], note: Text::named("reading-either-935"), usual: Some(Metal::GermaniumSilver) },
    Either { words: &["14k"], note: Text::named("reading-either-14k"), usual: Some(Metal::Gold14k) },
];

/// Every known phrase with its meaning, longest first so that `fine silver` is not read as `silver`.
static PHRASES: LazyLock<Vec<(String, Word)>> = LazyLock::new(|| {
    let mut phrases: Vec<(String, Word)> = vec![];
    let mut add = |words: &[&str], meaning: Word| {
        phrases.extend(words.iter().map(|word| (word.to_lowercase(), meaning)));
    };
    for metal in Metal::ALL {
        add(&[metal.word(), metal.shown()], Word::Metal(*metal));
        add(metal.figures().called, Word::Metal(*metal));
    }
    for either in EITHER {
        add(either.words, Word::Either(either));
    }
    for temper in Temper::ALL {
        let spaced = temper.word().replace('-', " ");
        add(&[temper.word(), temper.shown(), &spaced], Word::Temper(*temper));
        add(temper.called(), Word::Temper(*temper));
    }
    for section in Section::ALL {
        add(&[section.word()], Word::Section(*section));
        add(section.called(), Word::Section(*section));
    }
    for surface in [Surface::Bare, Surface::Plated, Surface::Coated, Surface::Galvanised] {
        add(&[surface.word()], Word::Surface(surface));
    }
    add(&["enamelled", "enameled", "lacquered"], Word::Surface(Surface::Coated));
    add(&["galvanized", "zinc-coated"], Word::Surface(Surface::Galvanised));
    for winding in Winding::ALL {
        add(&[winding.word(), winding.shown()], Word::Winding(*winding));
    }
    add(&["pin vise", "pin vice"], Word::Winding(Winding::PinVise));
    add(&["slow drill", "powered", "with a drill", "power winder"], Word::Winding(Winding::SlowDrill));
    for method in Method::ALL {
        add(&[method.word(), method.shown()], Word::Method(*method));
    }
    add(&["saw cut", "saw-cut", "sawing", "sawed", "with a saw"], Word::Method(Method::Saw));
    add(
        &["double flush", "flush cut", "flush-cut", "flush cutter", "flush cutters"],
        Word::Method(Method::DoubleFlush),
    );
    add(&["sheared", "sheet shears", "shears", "cut with sheet shears"], Word::Method(Method::Shears));
    add(
        &["snipped", "single snip", "snip", "side cutter", "side cutters", "pinch cut"],
        Word::Method(Method::SingleSnip),
    );
    add(&["filed", "and filed", "file"], Word::Filed);
    phrases.sort_by_key(|(words, _)| std::cmp::Reverse(words.len()));
    phrases
});

/// The longest known phrase at the head of `input` (lower case), ending where a word ends.
pub(crate) fn phrase(input: &mut &str) -> ModalResult<Word> {
    longest(input, PHRASES.iter().map(|(words, meaning)| (words.as_str(), *meaning)))
}

/// The first of some phrases, sorted longest first, that stands whole at the head of `input`.
pub(crate) fn longest<'p, T>(
    input: &mut &str,
    phrases: impl Iterator<Item = (&'p str, T)>,
) -> ModalResult<T> {
    let ends = |words: &str| !input[words.len()..].starts_with(|c: char| c.is_alphanumeric() || c == '/');
    let mut found = phrases.filter(|(words, _)| input.starts_with(words) && ends(words));
    let (words, meaning) = found.next().ok_or_else(backtrack)?;
    *input = &input[words.len()..];
    Ok(meaning)
}

/// The meaning of a text that is exactly one known phrase.
///
/// ```
/// use lorimant_core::reading::{Word, exactly};
/// use lorimant_core::wire::metal::{Metal, Temper};
///
/// assert_eq!(exactly("Sterling"), Some(Word::Metal(Metal::SterlingSilver)));
/// assert_eq!(exactly("dead soft"), Some(Word::Temper(Temper::Soft)));
/// assert_eq!(exactly("soft copper"), None);
/// ```
#[must_use]
pub fn exactly(text: &str) -> Option<Word> {
    let text = text.trim().to_lowercase();
    PHRASES.iter().find(|(words, _)| *words == text).map(|(_, meaning)| *meaning)
}

/// What lies on a wire and its metal, said together: `plated copper`, `coated`, `sterling`; none where a word is neither.
///
/// ```
/// use lorimant_core::reading::covered_metal;
/// use lorimant_core::wire::metal::Metal;
/// use lorimant_core::wire::surface::Surface;
///
/// assert_eq!(covered_metal("plated copper"), Some((Some(Surface::Plated), Some(Metal::Copper))));
/// assert_eq!(covered_metal("coated"), Some((Some(Surface::Coated), None)));
/// assert_eq!(covered_metal("wood"), None);
/// ```
#[must_use]
pub fn covered_metal(text: &str) -> Option<(Option<Surface>, Option<Metal>)> {
    if let Some(Word::Metal(metal)) = exactly(text) {
        return Some((None, Some(metal)));
    }
    let text = text.trim();
    let (first, rest) = text.split_once(' ').unwrap_or((text, ""));
    let Some(Word::Surface(surface)) = exactly(first) else { return None };
    match (rest.trim(), exactly(rest)) {
        ("", _) => Some((Some(surface), None)),
        (_, Some(Word::Metal(metal))) => Some((Some(surface), Some(metal))),
        _ => None,
    }
}

/// Every known phrase, for telling a misspelt word from a known one.
pub(crate) fn phrases() -> impl Iterator<Item = &'static str> {
    PHRASES.iter().map(|(words, _)| words.as_str())
}

/// A saw blade: `4/0 blade`, `blade 2/0`.
pub(crate) fn blade(input: &mut &str) -> ModalResult<Blade> {
    let number = || (digit1, opt("/0")).take();
    let word = || terminated(alt(("blades", "blade")), word_end);
    let written = alt((
        terminated(number(), (multispace0, opt("saw "), word())),
        preceded((word(), multispace0), terminated(number(), word_end)),
    ))
    .parse_next(input)?;
    written.parse().map_err(|_| backtrack())
}
