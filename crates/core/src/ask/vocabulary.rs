//! The words the ask line knows besides numbers and the names of wires and tools.

use lorimant_text::Text;
use std::collections::HashSet;
use std::sync::LazyLock;

use winnow::prelude::*;

use super::token::{Meaning, Question};
use crate::pattern::Kind;
use crate::reading;

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
    "makes",
    "wound",
    "wire",
    "wires",
    "please",
    "i",
    "i've",
    "have",
    "got",
    "from",
    "is",
    "do",
    "does",
    "need",
    "want",
    "would",
    "like",
    "each",
    "ea",
    "coil of",
    "cut",
    "at",
    "=",
    "can",
    "much",
    "many",
    "on",
    "one",
    "some",
    "using",
    "out",
    "ø",
    "will",
    "it",
    "long",
    "that",
    "this",
    "these",
    "them",
    "there",
    "made",
    "size",
    "sized",
    "as",
    "pair",
    "pair of",
    "pairs of",
    "me",
    "my",
    "are",
    "be",
    "get",
    "give",
    "gives",
    "how",
    "up",
    "enough",
    "about",
    "diameter",
    "dia",
    "dia.",
    "@",
    "or so",
    "piece",
    "pieces",
    "single",
    "convert",
    "into",
    "metric",
    "millimetres",
    "millimeters",
    "plus",
    "length",
    "lengths",
    "if",
    "so",
    "then",
    "we",
    "our",
    "has",
    "when",
    "new",
    "few",
    "closed",
    "finished",
    "spool",
    "spool of",
    "roll",
    "roll of",
    "x",
    "×",
    "by",
    "in grams",
    "in grammes",
    "in feet",
    "in metres",
    "in meters",
    "in yards",
    "in ounces",
    "bright",
    "bare",
    "use",
    "wind",
    "winding",
    "you",
    "your",
    "could",
    "should",
    "just",
    "thanks",
    "hi",
    "exactly",
    "roughly",
    "approximately",
    "approx",
    "ca",
    "~",
    "shall",
    "must",
    "let's",
    "let",
    "us make",
    "end up with",
    "set of",
    "total",
    "altogether",
    "everyday",
];

/// Units that may stand without a number: those a size is wanted in, `18 ga in mm`. Beside a piece they are a slip.
const LOOSE_UNITS: &[&str] = &["mm", "cm", "inch", "inches", "gauge", "ga", "awg", "swg"];

/// Words that ask something where others say what.
const ASKING: &[&str] = &["what", "whats", "what's", "which", "how", "best"];

/// Words for jump rings.
pub(super) const RINGS: &[&str] =
    &["jump rings", "jump ring", "jumprings", "jumpring", "jump-rings", "rings", "ring"];

/// Words that ask, and what for.
const QUESTIONS: &[(Question, &[&str])] = &[
    (
        Question::HowMuch,
        &[
            "how much wire",
            "how much",
            "how long",
            "how many metres",
            "how many meters",
            "how many feet",
            "how many inches",
            "how many mm",
            "how many cm",
            "length of wire for",
            "wire needed for",
            "wire needed",
        ],
    ),
    (
        Question::Turns,
        &[
            "how many turns",
            "how many wraps",
            "how many times round",
            "how many coils",
            "number of turns",
            "turns for",
            "turns",
            "wraps",
        ],
    ),
    (Question::Ratio, &["aspect ratio of", "aspect ratio", "what aspect ratio", "ar of", "what ar"]),
    (Question::HowMany, &["how many"]),
    (
        Question::WhatCanIMake,
        &[
            "what can i make",
            "what could i make",
            "what can be made",
            "what can we make",
            "what to make",
            "what can i",
            "what i make",
            "what can make",
            "can i make",
            "could i make",
        ],
    ),
    (
        Question::Weight,
        &[
            "how much does",
            "how much do",
            "what does",
            "what do",
            "weigh",
            "weighs",
            "weight",
            "weight of",
            "the weight of",
            "how heavy",
            "heavy",
            "mass of",
        ],
    ),
    (
        Question::WhichWire,
        &[
            "which wire",
            "what wire",
            "best wire",
            "which gauge for",
            "what gauge for",
            "which gauge wire",
            "what gauge wire",
            "what size wire",
            "which size wire",
            "which metal",
            "what metal",
            "best metal",
        ],
    ),
    (
        Question::WhatRod,
        &[
            "what rod",
            "which rod",
            "rod for",
            "what mandrel",
            "which mandrel",
            "mandrel for",
            "what size rod",
            "what size mandrel",
            "which size rod",
            "which size mandrel",
            "rod size for",
            "mandrel size for",
            "what do i wind",
            "what to wind",
            "what do i coil",
        ],
    ),
    (
        Question::Cost,
        &["cost of", "the cost of", "cost", "costs", "price of", "the price of", "price", "how expensive"],
    ),
];

/// Words that stand for a length or a mass's unit, for telling a misspelt word from a known one.
pub(super) const UNITS: &[&str] = &[
    "millimetres millimeters millimetre millimeter centimetres centimeters metres meters metre meter inches inch feet foot",
    "yards yard grams gram grammes kilograms kilogram kilos kilo ounces ounce troy pounds pound pennyweight pennyweights",
    "gauge inside outside inner outer diameter internal bore aspect ratio rings ring jump layers layer tape blade blades",
    "degrees turns wraps dozen pieces qty quantity count times both",
];

/// The phrases that ask a question.
pub(super) fn phrases_of(question: Question) -> impl Iterator<Item = &'static str> {
    QUESTIONS.iter().filter(move |(asked, _)| *asked == question).flat_map(|(_, phrases)| *phrases).copied()
}

/// Every known phrase with its meaning, longest first.
static PHRASES: LazyLock<Vec<(String, Meaning)>> = LazyLock::new(|| {
    let mut phrases: Vec<(String, Meaning)> = vec![];
    let mut add = |words: &[&str], meaning: Meaning| {
        phrases.extend(words.iter().map(|word| (word.to_lowercase(), meaning.clone())));
    };
    for kind in Kind::all() {
        let names: Vec<String> = kind.names().flat_map(spellings).collect();
        let names: Vec<&str> = names.iter().map(String::as_str).collect();
        add(&names, Meaning::Pattern(kind));
    }
    for (question, words) in QUESTIONS {
        add(words, Meaning::Ask(*question));
    }
    add(&["mirrored", "left-handed", "left handed"], Meaning::Mirrored);
    add(&["oval", "ovals"], Meaning::Oval);
    add(RINGS, Meaning::Rings);
    add(FILLERS, Meaning::Filler);
    add(LOOSE_UNITS, Meaning::LooseUnit);
    add(ASKING, Meaning::Asking);
    phrases.sort_by_key(|(words, _)| std::cmp::Reverse(words.len()));
    phrases
});

/// A name with its plural, written in words, with hyphens, and run together: `head pin`, `headpins`.
fn spellings(name: &str) -> Vec<String> {
    let spaced = name.to_lowercase().replace('-', " ");
    let plural = format!("{spaced}s");
    let every = |name: &String| [name.clone(), name.replace(' ', "-"), name.replace(' ', "")];
    [spaced, plural].iter().flat_map(every).chain([name.to_lowercase()]).collect()
}

/// The longest known phrase at the head of `input`, whoever's it is.
pub(super) fn phrase(input: &mut &str) -> ModalResult<Meaning> {
    let (mut ours, mut named) = (*input, *input);
    let meaning = reading::longest(&mut ours, PHRASES.iter().map(|(words, m)| (words.as_str(), m)));
    let word = reading::phrase(&mut named);
    let (rest, meaning) = match (meaning, word) {
        // Of two that begin alike the longer is meant: `silver` in `silver filled`, `saw` in `saw blade`.
        (Ok(_), Ok(word)) if named.len() < ours.len() => (named, Meaning::Word(word)),
        (Ok(meaning), _) => (ours, meaning.clone()),
        (Err(_), Ok(word)) => (named, Meaning::Word(word)),
        (Err(fails), Err(_)) => return Err(fails),
    };
    *input = rest;
    Ok(meaning)
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

/// Every phrase, for telling a misspelt word from a known one.
pub(super) fn phrases() -> impl Iterator<Item = &'static str> {
    PHRASES.iter().map(|(words, _)| words.as_str())
}

/// The known word or phrase closest to a mistyped one, as people write it; none for an everyday word.
pub(super) fn closest(word: &str) -> Option<String> {
    let number = word.starts_with(|c: char| c.is_ascii_digit());
    if word.chars().count() < 4 || number || is_english(&word.to_lowercase()) {
        return None;
    }
    let names = Kind::all().flat_map(Kind::names);
    let asked = QUESTIONS.iter().flat_map(|(_, words)| words.iter().copied());
    let known = names.chain(asked).chain(reading::phrases()).filter(|words| words.len() > 3);
    crate::words::closest(word, known).map(|words| words.replace('-', " "))
}

/// Words that name several things, with which of them can be meant.
const VAGUE: &[(&[&str], Text, &[&str])] = &[
    (
        &["clasp", "clasps"],
        Text::named("vague-which-clasp"),
        &["hook clasp", "S clasp", "spiral hook", "double-wire hook"],
    ),
    (&["loop", "loops"], Text::named("vague-loop-of-what"), &["wrapped loop link", "eye pin", "jump rings"]),
    (
        &["chain", "chains", "bracelet", "bracelets", "necklace", "necklaces"],
        Text::named("vague-which-weave"),
        &["byzantine 18 ga copper 5 mm inside 18 cm", "one in one 18 ga copper 5 mm inside 45 cm"],
    ),
    (&["pin", "pins"], Text::named("vague-which-pin"), &["plain head pin", "balled head pin", "eye pin"]),
    (
        &["link", "links", "connector", "connectors"],
        Text::named("vague-which-link"),
        &["figure eight", "S link", "wrapped loop link"],
    ),
    (&["cap", "caps"], Text::named("vague-which-cap"), &["coil end cap", "cone end cap"]),
    (&["hammered", "flattened"], Text::named("vague-hammered-how-thin"), &["hammered to 0.6 mm"]),
    (&["earring", "earrings"], Text::named("vague-which-part"), &["ear wires", "jump rings", "head pins"]),
    (
        &["pencil", "nail", "pen", "marker", "skewer", "chopstick", "tube", "screwdriver"],
        Text::named("vague-how-thick"),
        &["7 mm pencil", "4 mm nail"],
    ),
];

/// What to ask where a word names several things, and which they are.
pub(super) fn vague(word: &str) -> Option<(&'static str, &'static [&'static str])> {
    VAGUE.iter().find(|(words, ..)| words.contains(&word)).map(|(_, why, instead)| (why.as_str(), *instead))
}

/// Everyday words that are near words of the trade and mean something else: none of them is a misspelling.
const ENGLISH: &str = include_str!("english.txt");

static ENGLISH_WORDS: LazyLock<HashSet<&'static str>> = LazyLock::new(|| {
    ENGLISH.lines().filter(|line| !line.starts_with('#')).flat_map(str::split_whitespace).collect()
});

/// Whether a word is an everyday one of its own.
pub(super) fn is_english(word: &str) -> bool {
    ENGLISH_WORDS.contains(word)
}
