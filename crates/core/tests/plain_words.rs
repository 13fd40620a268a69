//! What reaches the hand: an instruction is short and countable, and names a place and what to see, never an angle; no
//! text speaks a private dialect.

#![allow(clippy::unwrap_used, missing_docs)]

use std::path::Path;

use crate::common::{bench, ring_of, ways};
use lorimant_core::making::Step;
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::length::{Habits, LengthUnit};
use rstest::rstest;

/// Most words of a sentence that is read with pliers in hand.
const MOST_WORDS: usize = 20;

fn workshop(unit: LengthUnit) -> Workshop {
    Workshop { habits: Habits { unit, ..Habits::default() }, ..bench() }
}

/// The sentences of an instruction.
fn sentences(text: &str) -> Vec<&str> {
    text.split_inclusive([':', '.', '?'])
        .map(str::trim)
        .filter(|sentence| sentence.contains(char::is_alphabetic))
        .collect()
}

/// What is wrong with the instructions of some steps.
fn wrong(of: &str, steps: &[Step]) -> Vec<String> {
    let mut found = vec![];
    for step in steps {
        let text = &step.text;
        if text.contains('°') && !text.contains("°C") {
            found.push(format!("{of}: an angle in “{text}”"));
        }
        // A sentence ends with a full stop before a space: 0.5 mm has none.
        for sentence in text.split_inclusive(". ").flat_map(|part| part.split_inclusive(": ")) {
            let words =
                sentence.split_whitespace().filter(|word| word.contains(char::is_alphanumeric)).count();
            if words > MOST_WORDS {
                found.push(format!("{of}: {words} words in “{}”", sentence.trim()));
            }
        }
        assert!(!sentences(text).is_empty(), "{of}: {step:?} says nothing");
    }
    found
}

#[rstest]
fn instructions_are_short_and_name_no_angle(#[values(LengthUnit::Mm, LengthUnit::Inch)] unit: LengthUnit) {
    let mut found = vec![];
    for methods in ways() {
        let shop = Workshop { methods, ..workshop(unit) };
        for kind in Kind::all() {
            let request = PatternRequest::usual(kind);
            if let Ok(finished) = request.finished(&shop) {
                found.extend(wrong(&kind.0.name, &finished.made.steps));
            }
        }
        let rings = ring_of(1.0, 5.0);
        found.extend(wrong("rings", &rings.finished(&shop).unwrap().made.steps));
    }
    found.sort();
    found.dedup();
    assert!(found.is_empty(), "{}", found.join("\n"));
}

/// What each phrase of an angle means, degrees, by the words themselves: square is a right angle, parallel sides half a turn.
const MEANS_DEG: [(&str, f64); 8] = [
    ("its ends meet", 360.0),
    ("it is a third of the way to square", 30.0),
    ("it is half-way to square", 45.0),
    ("it is two thirds of the way to square", 60.0),
    ("it is square", 90.0),
    ("it is a third past square", 120.0),
    ("it is half-way from square to straight back", 135.0),
    ("both sides are parallel", 180.0),
];

/// Who bends until the words are true has the angle that is drawn, to what an eye tells; else the words lead to the drawing.
#[rstest]
fn the_words_of_a_bend_are_true_of_its_angle() {
    let shop = workshop(LengthUnit::Mm);
    let mut seen = 0;
    for kind in Kind::all() {
        let request = PatternRequest::usual(kind);
        let finished = request.finished(&shop).unwrap();
        for step in &finished.made.steps {
            let (Some(left), Some((_, words))) =
                (step.numbers.angle_left_deg, step.text.rsplit_once(" until "))
            else {
                continue;
            };
            let words = words.split('.').next().unwrap();
            let means = MEANS_DEG.iter().find(|(text, _)| *text == words);
            let meets = words == "the end meets the wire" || words == "it sits centred";
            let drawn = words.ends_with("as drawn");
            assert!(means.is_some() || meets || drawn, "{}: “{words}” means no angle", kind.0.name);
            assert!(
                means.is_none_or(|(_, deg)| (deg - left).abs() <= 5.0),
                "{}: “{words}” for {left}",
                kind.0.name
            );
            assert!(
                !meets || left > 240.0 || words == "it sits centred",
                "{}: {left} closes nothing",
                kind.0.name
            );
            seen += 1;
        }
    }
    assert!(seen > 40, "{seen} bends only");
}

/// Words and phrases that nobody says at a bench, or that have a plainer one; as they stand in texts, not in names.
const DIALECT: &[&str] = &[
    "put away",
    "taken out again",
    "take over",
    "brought in",
    "bring in",
    "mend ",
    "reckon",
    "survivor",
    "lies in bags",
    "lie in bags",
    "shut beforehand",
    "spoiled",
    "on the rack",
    "by itself",
    "take away",
    "schools",
    "surely",
    "anew",
    " is no number",
    " is no length",
    " is no weight",
    " is no reading",
    " is no text",
    "says nothing of",
    "goes on with",
    "presses most",
    "is none",
    "stands twice",
    "becomes rings",
    "gives at",
    "first set",
    "left round",
    "hand work",
    "one does not go",
    "not quite",
    "laid out already",
];

/// Every text between quotation marks that has a space in it, of the files below a folder.
fn texts(folder: &Path, ending: &str, found: &mut Vec<(String, String)>) {
    for entry in std::fs::read_dir(folder).unwrap().flatten() {
        let path = entry.path();
        if path.is_dir() {
            texts(&path, ending, found);
        } else if path.extension().is_some_and(|is| is == ending) {
            let source = std::fs::read_to_string(&path).unwrap();
            let told = source.split("#[cfg(test)]").next().unwrap_or_default();
            for line in
                told.lines().map(str::trim).filter(|line| !line.starts_with("//") && !line.starts_with("#["))
            {
                let quoted =
                    line.split(['"', '\'', '`']).skip(1).step_by(2).filter(|text| text.contains(' '));
                found.extend(quoted.map(|text| (path.display().to_string(), text.to_lowercase())));
            }
        }
    }
}

#[test]
fn no_text_speaks_a_dialect() {
    let root = Path::new(env!("CARGO_MANIFEST_DIR")).join("..");
    let mut all = vec![];
    texts(&root.join("core/src"), "rs", &mut all);
    texts(&root.join("server/src"), "rs", &mut all);
    assert!(all.len() > 1000, "{} texts only", all.len());
    let told = |(file, text): &(String, String)| {
        // What people may type is read whatever it is.
        let reads = file.contains("/ask/") || file.contains("vocabulary") || file.contains("/reading/");
        let word = DIALECT.iter().find(|word| !reads && text.contains(**word))?;
        Some(format!("{file}: “{word}” in “{text}”"))
    };
    let found: Vec<String> = all.iter().filter_map(told).collect();
    assert!(found.is_empty(), "{}", found.join("\n"));
}
