//! A typed line made ready for reading: lower case, plain misspellings mended, every letter's place kept.

use std::collections::HashSet;
use std::sync::LazyLock;

use serde::Serialize;

use super::vocabulary;
use crate::pattern::Kind;
use crate::reading;
use crate::tool::workshop::Workshop;
use crate::words::number;
use lorimant_text::text;

/// Longest line that is read, in characters.
pub const LONGEST: usize = 400;
/// Words shorter than this are not mended: too many are near too many others.
const SHORTEST_MENDED: usize = 4;

/// A stretch of the text that was not understood, counted in characters from its start.
#[derive(Debug, Clone, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Unclear {
    /// First character.
    pub from: usize,
    /// One past the last character.
    pub to: usize,
    /// The words.
    pub text: String,
    /// Why, and what would be clear.
    pub why: String,
    /// Words that may be meant instead, as people write them.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub instead: Vec<String>,
    /// Whether no answer can be the one asked for while this is unclear.
    #[serde(skip)]
    pub(super) holds_back: bool,
}

/// A line as it is read.
pub(super) struct Line {
    /// Lower case, mended.
    pub text: String,
    /// The line as it was typed, letter by letter.
    typed: Vec<char>,
    /// For each letter of `text`, and its end, the place in what was typed.
    origin: Vec<usize>,
    /// What was mended, in sentences.
    pub mended: Vec<String>,
}

impl Line {
    /// Makes a typed line ready.
    pub fn new(typed: &str, workshop: &Workshop) -> Self {
        let letters: Vec<char> = typed.chars().collect();
        let mut line = Self { text: String::new(), typed: letters, origin: vec![], mended: vec![] };
        let known = known_words(workshop);
        let mut at = 0;
        // The word before, where nothing but blanks stands between: typed twice by a slip, it counts once.
        let mut before = String::new();
        while at < line.typed.len() {
            let letter = |c: &char| c.is_alphabetic() || *c == '-';
            let length = line.typed[at..].iter().take_while(|c| letter(c)).count();
            // What clings to a number is its unit; what is no word is taken as it is.
            let clings = at > 0 && line.typed[at - 1].is_ascii_digit();
            if length == 0 || clings {
                if clings || !line.typed[at].is_whitespace() {
                    before.clear();
                }
                line.take(at, length.max(1));
                at += length.max(1);
                continue;
            }
            let word: String = line.typed[at..at + length].iter().flat_map(|c| c.to_lowercase()).collect();
            if word == before {
                line.mended.push(text!("ask-line-read-as", word = format!("{word} {word}"), meant = word));
                for i in at..at + length {
                    line.text.push(' ');
                    line.origin.push(i);
                }
                at += length;
                continue;
            }
            before.clone_from(&word);
            match mended(&word, &known) {
                Some(meant) => {
                    line.mended.push(text!("ask-line-read-as", word, meant));
                    line.text.push_str(meant);
                    // Every letter of the mended word stands where the typed one begins.
                    line.origin.extend(std::iter::repeat_n(at, meant.chars().count()));
                }
                None => line.take(at, length),
            }
            at += length;
        }
        line.origin.push(line.typed.len());
        line
    }

    fn take(&mut self, at: usize, length: usize) {
        for i in at..at + length {
            let c = self.typed[i];
            // `20-gauge`, `4-in-1`: the hyphen joins a number to its word.
            let beside = |at: Option<usize>| at.and_then(|at| self.typed.get(at)).copied().unwrap_or(' ');
            let joins =
                c == '-' && beside(i.checked_sub(1)).is_ascii_digit() && beside(Some(i + 1)).is_alphabetic();
            let c = if joins { ' ' } else { c };
            self.text.push(c.to_lowercase().next().unwrap_or(c));
            self.origin.push(i);
        }
    }

    /// The place in what was typed of what is left to read.
    pub fn place(&self, rest: &str) -> usize {
        let read = self.text.chars().count() - rest.chars().count();
        self.origin.get(read).copied().unwrap_or(self.typed.len())
    }

    /// What was typed between two places.
    pub fn typed(&self, from: usize, to: usize) -> String {
        self.typed.get(from..to).map_or_else(String::new, |letters| letters.iter().collect())
    }
}

/// Single words of everything that is understood.
fn words_of<'a>(phrases: impl Iterator<Item = &'a str>) -> impl Iterator<Item = String> {
    phrases.flat_map(|phrase| {
        let lower = phrase.to_lowercase();
        lower.split(|c: char| !c.is_alphabetic()).map(str::to_owned).collect::<Vec<_>>()
    })
}

static KNOWN: LazyLock<HashSet<String>> = LazyLock::new(|| {
    let parameters = Kind::all().flat_map(|kind| kind.0.parameters);
    let labels = parameters.flat_map(|p| {
        let plural = format!("{}s", p.label);
        let own = [p.label, p.none.unwrap_or_default()].into_iter().chain(p.options.iter().copied());
        own.map(String::from).chain([plural]).collect::<Vec<_>>()
    });
    let labels: Vec<String> = labels.collect();
    let all = reading::phrases()
        .chain(vocabulary::phrases())
        .chain(number::words())
        .chain(reading::rod::COMMON)
        .chain(vocabulary::UNITS.iter().copied());
    words_of(all).chain(words_of(labels.iter().map(String::as_str))).collect()
});

fn known_words(workshop: &Workshop) -> HashSet<String> {
    let rods = workshop.rods.iter().filter_map(|rod| rod.name.as_deref());
    words_of(rods).collect()
}

/// The one known word that a misspelt one can only be: one slip away, or two in a long word.
fn mended(word: &str, own: &HashSet<String>) -> Option<&'static str> {
    let length = word.chars().count();
    let known = |word: &str| KNOWN.contains(word) || own.contains(word);
    let whole = word.split('-').all(|part| part.is_empty() || known(part));
    // A word of its own is no misspelling of another.
    if vocabulary::is_english(word) {
        return None;
    }
    if length < SHORTEST_MENDED || whole || known(&word.replace('-', "")) {
        return None;
    }
    let slips = if length < 8 { 1 } else { 2 };
    let near = |candidate: &&String| candidate.chars().count() >= SHORTEST_MENDED;
    let mut found: Vec<(usize, &'static String)> = KNOWN
        .iter()
        .filter(near)
        .map(|candidate| (strsim::osa_distance(word, candidate), candidate))
        .filter(|(off, _)| *off <= slips)
        .collect();
    found.sort();
    match found.as_slice() {
        [(_, only)] => Some(only),
        // A plural and its singular are the same word.
        [(a, first), (b, second), ..]
            if a < b || second.trim_end_matches('s') == first.trim_end_matches('s') =>
        {
            Some(first)
        }
        _ => None,
    }
}
