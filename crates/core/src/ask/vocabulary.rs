//! The words the ask line knows besides numbers.

use std::sync::LazyLock;

use winnow::prelude::*;

use super::Meaning;
use crate::cutting::Method;
use crate::metal::{Metal, Temper};
use crate::pattern::Kind;
use crate::ring::Winding;
use crate::section::Section;

/// Words that carry no input of their own.
const FILLERS: &[&str] = &[
    "of",
    "the",
    "a",
    "an",
    "in",
    "for",
    "with",
    "and",
    "by",
    "to",
    "make",
    "making",
    "wound",
    "wire",
    "please",
    "i",
    "have",
    "from",
    "is",
    "what",
    "do",
    "need",
    "jump rings",
    "jump ring",
    "rings",
    "ring",
    "mm",
    "inch",
    "inches",
    "each",
    "coil",
    "cut",
    "at",
    "=",
    "can",
    "much",
    "on",
    "one",
    "using",
    "out",
    "ø",
    "gauge",
    "weigh",
    "weighs",
    "will",
    "it",
    "long",
    "does",
    "that",
    "this",
    "there",
    "made",
    "size",
    "as",
    "pair of",
    "pairs of",
];

/// Every known phrase with its meaning, longest first so that `fine silver` is not read as `fine`.
static PHRASES: LazyLock<Vec<(String, Meaning)>> = LazyLock::new(|| {
    let mut phrases: Vec<(String, Meaning)> = vec![];
    let mut add = |words: &[&str], meaning: Meaning| {
        phrases.extend(words.iter().map(|word| (word.to_lowercase(), meaning.clone())));
    };
    for metal in Metal::ALL {
        add(&[metal.word(), metal.shown()], Meaning::Metal(*metal));
    }
    add(&["bare copper", "cu"], Meaning::Metal(Metal::Copper));
    add(&["yellow brass"], Meaning::Metal(Metal::Brass));
    add(&["bronze"], Meaning::Metal(Metal::PhosphorBronze));
    add(&["sterling", "925", "925 silver"], Meaning::Metal(Metal::SterlingSilver));
    add(&["germanium sterling", "935"], Meaning::Metal(Metal::GermaniumSilver));
    add(&["999", "pure silver"], Meaning::Metal(Metal::FineSilver));
    add(&["gold filled", "14/20"], Meaning::Metal(Metal::GoldFilled));
    add(&["silver filled"], Meaning::Metal(Metal::SilverFilled));
    add(&["gold 14k", "14k gold", "14k", "14kt gold"], Meaning::Metal(Metal::Gold14k));
    add(&["aluminum", "alu"], Meaning::Metal(Metal::Aluminium));
    add(&["stainless", "316l", "304"], Meaning::Metal(Metal::StainlessSteel));
    add(&["iron wire", "annealed steel"], Meaning::Metal(Metal::MildSteel));
    for temper in Temper::ALL {
        let spaced = temper.word().replace('-', " ");
        add(&[temper.word(), temper.shown(), &spaced], Meaning::Temper(*temper));
    }
    add(&["dead soft", "dead-soft", "annealed"], Meaning::Temper(Temper::Soft));
    add(&["hh", "half hard", "1/2 hard", "1/2-hard"], Meaning::Temper(Temper::HalfHard));
    add(&["1/4 hard", "1/4-hard"], Meaning::Temper(Temper::QuarterHard));
    add(&["3/4 hard", "3/4-hard"], Meaning::Temper(Temper::ThreeQuarterHard));
    add(&["full hard", "full-hard"], Meaning::Temper(Temper::Hard));
    add(&["spring temper"], Meaning::Temper(Temper::Spring));
    for section in Section::ALL {
        add(&[section.word()], Meaning::Section(*section));
    }
    add(&["sq"], Meaning::Section(Section::Square));
    add(&["half round"], Meaning::Section(Section::HalfRound));
    for winding in Winding::ALL {
        add(&[winding.word(), winding.shown()], Meaning::Winding(*winding));
    }
    add(&["pin vise"], Meaning::Winding(Winding::PinVise));
    add(&["slow drill", "powered"], Meaning::Winding(Winding::SlowDrill));
    for method in Method::ALL {
        add(&[method.word(), method.shown()], Meaning::Method(*method));
    }
    add(&["saw cut", "sawing"], Meaning::Method(Method::Saw));
    add(&["double flush", "flush cut", "flush cutter"], Meaning::Method(Method::DoubleFlush));
    add(&["snipped", "single snip", "snip"], Meaning::Method(Method::SingleSnip));
    add(&["filed", "file"], Meaning::Filed);
    for kind in Kind::all() {
        add(&[kind.0.name, kind.0.plural, kind.0.kind], Meaning::Pattern(kind));
        add(kind.0.also, Meaning::Pattern(kind));
    }
    add(&["how much wire", "how much", "how long"], Meaning::HowMuch);
    add(&["how many", "what can i make"], Meaning::HowMany);
    add(&["mirrored", "left-handed"], Meaning::Mirrored);
    add(FILLERS, Meaning::Filler);
    phrases.sort_by_key(|(words, _)| std::cmp::Reverse(words.len()));
    phrases
});

/// The longest known phrase at the head of `input`, ending where a word ends.
pub(super) fn phrase(input: &mut &str) -> ModalResult<Meaning> {
    let ends = |words: &str| !input[words.len()..].starts_with(|c: char| c.is_alphanumeric() || c == '/');
    let found = PHRASES.iter().find(|(words, _)| input.starts_with(words.as_str()) && ends(words));
    let (words, meaning) =
        found.ok_or_else(|| winnow::error::ErrMode::Backtrack(winnow::error::ContextError::new()))?;
    *input = &input[words.len()..];
    Ok(meaning.clone())
}

/// The pattern a line speaks of, wherever in it.
pub(super) fn pattern_in(line: &str) -> Option<Kind> {
    let starts = line
        .char_indices()
        .map(|(i, _)| i)
        .filter(|i| *i == 0 || !line[..*i].ends_with(|c: char| c.is_alphanumeric() || c == '-'));
    let mut found = starts.filter_map(|i| match phrase(&mut &line[i..]) {
        Ok(Meaning::Pattern(kind)) => Some(kind),
        _ => None,
    });
    found.next()
}

/// The meaning of a text that is exactly one known phrase.
pub(crate) fn exactly(text: &str) -> Option<Meaning> {
    let text = text.trim().to_lowercase();
    PHRASES.iter().find(|(words, _)| *words == text).map(|(_, meaning)| meaning.clone())
}

/// The known word closest to a mistyped one.
pub(super) fn closest(word: &str) -> Option<&'static str> {
    if word.chars().count() < 4 || word.starts_with(|c: char| c.is_ascii_digit()) {
        return None;
    }
    let long = PHRASES.iter().map(|(words, _)| words.as_str()).filter(|words| words.len() > 3);
    crate::words::closest(word, long)
}
