//! What a person reads is made of whole sentences: one of a thing is not several, no figure is without end, and no
//! word stands twice.

#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{bench, ring_of};
use lorimant_core::ask::answer;
use lorimant_core::chain::{ChainRequest, weaves};
use lorimant_core::pattern::{Kind, PatternRequest, Unit};
use lorimant_core::piece::Piece;
use lorimant_core::piece::mate::mate;
use lorimant_core::ring::RingRequest;
use lorimant_core::ring::sentence::Slot;
use lorimant_core::ring::supply::Supply;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::length::{Habits, LengthUnit};
use rstest::rstest;
use serde::Serialize;
use serde_json::Value;

const SEVERAL: &[&str] = &[
    "pairs", "rings", "pieces", "turns", "wraps", "coils", "bends", "loops", "marks", "blanks", "steps",
    "layers", "metals", "wires", "rods", "times", "ends", "tails", "drops", "caps", "hooks", "clasps",
    "links", "pins",
];

/// What is wrong with a text, if anything is.
fn wrong(text: &str) -> Option<String> {
    let words: Vec<&str> = text.split(|c: char| c.is_whitespace()).collect();
    let plain = |word: &str| word.trim_matches(|c: char| !c.is_alphanumeric()).to_lowercase();
    words
        .windows(2)
        .find_map(|pair| {
            let next = plain(pair[1]);
            let one = pair[0] == "1" || pair[0] == "(1";
            let twice = plain(pair[0]) == next
                && pair[0].ends_with(char::is_alphabetic)
                && ["of", "the", "a", "is", "to", "at", "and", "from", "with"].contains(&next.as_str());
            (one && SEVERAL.contains(&next.as_str()) || twice)
                .then(|| format!("“{}” in: {text}", pair.join(" ")))
        })
        .or_else(|| {
            let endless =
                words.iter().any(|word| ["inf", "nan", "infinity", "-0"].contains(&plain(word).as_str()));
            endless.then(|| format!("a figure without end in: {text}"))
        })
        .or_else(|| text.contains(['{', '}']).then(|| format!("a place that was not filled in: {text}")))
}

fn texts(value: &Value, found: &mut Vec<String>) {
    match value {
        Value::String(text) => found.extend(wrong(text)),
        Value::Array(all) => all.iter().for_each(|one| texts(one, found)),
        Value::Object(fields) => fields.values().for_each(|one| texts(one, found)),
        _ => {}
    }
}

#[track_caller]
fn reads_well(text: &impl Serialize) {
    let mut found = vec![];
    texts(&serde_json::to_value(text).unwrap(), &mut found);
    assert!(found.is_empty(), "{found:#?}");
}

fn shop(unit: LengthUnit) -> Workshop {
    Workshop { habits: Habits { unit, ..Habits::default() }, ..bench() }
}

#[test]
fn a_wrong_sentence_is_found() {
    assert!(wrong("After the tumbling 1 pairs of hooks.").is_some());
    assert!(wrong("Its mouth is inf mm wide.").is_some());
    assert!(wrong("Rings of of copper.").is_some());
    assert!(wrong("{} g in all").is_some());
    assert!(wrong("11 pairs, 1 pair and 0.1 turns of it.").is_none());
}

/// At every dimension's least and most, one of it and several.
#[rstest]
#[case(LengthUnit::Mm)]
#[case(LengthUnit::Inch)]
fn every_finding_reads_well(#[case] unit: LengthUnit) {
    let workshop = shop(unit);
    for kind in Kind::all() {
        let usual = PatternRequest::usual(kind);
        let mut all = vec![usual.clone()];
        for parameter in kind.0.parameters {
            for value in [parameter.min, parameter.max, 1.0] {
                let mut other = usual.clone();
                other.parameters.insert(parameter.name.to_owned(), value);
                all.push(other);
            }
        }
        for request in all {
            for pieces_n in [1, 2] {
                reads_well(&PatternRequest { pieces_n, ..request.clone() }.sheet(&workshop));
            }
            for ring in [ring_of(1.0, 5.0), ring_of(0.4, 2.0)] {
                if let Ok(fits) = mate(&Piece::Finding(request.clone()), &Piece::Rings(ring), &workshop) {
                    reads_well(&fits);
                }
            }
        }
        for parameter in kind.0.parameters.iter().filter(|parameter| parameter.unit == Unit::Choice) {
            reads_well(&usual.choices(parameter.name, &workshop));
        }
    }
}

#[rstest]
#[case(1, 0.5, 1.0)]
#[case(1, 1.0, 5.0)]
#[case(2, 1.0, 5.0)]
#[case(1, 0.2, 120.0)]
#[case(1, 6.0, 6.0)]
#[case(3000, 0.8, 3.0)]
fn every_ring_plan_reads_well(#[case] rings_n: u32, #[case] wire_mm: f64, #[case] rod_mm: f64) {
    for unit in [LengthUnit::Mm, LengthUnit::Inch] {
        let workshop = shop(unit);
        let rod = Mandrel { length_mm: Some(40.0), ..Mandrel::round(rod_mm) };
        let request = RingRequest { rings_n, mandrel: rod, ..ring_of(wire_mm, rod_mm) };
        reads_well(&request.sheet(&workshop));
        for slot in Slot::ALL {
            reads_well(&request.choices(*slot, &workshop));
        }
        for wire_length_mm in [1.0, 60.0, 100.0, 1e6] {
            let supply = Supply { wire_length_mm: Some(wire_length_mm), wire_mass_g: None };
            if let Ok(many) = supply.makes(&request, &workshop) {
                reads_well(&many);
            }
        }
    }
}

/// Every weave, of rings that it usually takes.
#[test]
fn every_chain_reads_well() {
    for known in weaves::all() {
        let ratio = f64::midpoint(known.usual[0], known.usual[1]);
        for unit in [LengthUnit::Mm, LengthUnit::Inch] {
            let request = ChainRequest::new(known.word, ring_of(1.2, 1.2 * ratio), 190.0);
            reads_well(&request.sheet(&shop(unit)));
        }
    }
}

#[rstest]
#[case("1 ring 5 mm inside copper 18 soft")]
#[case("1 pair ear wires 21 ga sterling")]
#[case("1 pair of coil caps copper 1 mm")]
#[case("1 hook clasp 16 ga copper")]
#[case("how many rings 5 mm inside copper 18 awg from 60 mm")]
#[case("what can i make from 100 mm of 18 ga copper")]
#[case("how much 16 ga brass for 1 ring 6mm")]
#[case("how many eye pins from 50 mm 22 ga copper")]
#[case("does a 6 mm ring of 18 ga go into a hook clasp")]
fn the_ask_line_reads_well(#[case] line: &str) {
    for unit in [LengthUnit::Mm, LengthUnit::Inch] {
        reads_well(&answer(line, &shop(unit), &Vec::new));
    }
}
