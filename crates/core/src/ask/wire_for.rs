//! Wire that is asked for a use, without a piece: `which wire for sensitive ears`.

use super::answer::{Answer, View};
use super::token::Question;
use super::vocabulary::phrases_of;
use crate::rack::choose::Use;
use lorimant_text::text;

/// What wire is asked for without a piece, and what each use goes by after *wire for*.
const USES: &[(Use, &[&str])] = &[
    (
        Use::EarWires,
        &["everyday ear wires", "ear wires for every day", "everyday earrings", "earrings", "everyday hooks"],
    ),
    (
        Use::SensitiveEars,
        &[
            "sensitive ears",
            "sensitive skin",
            "ear wires for sensitive ears",
            "earrings for sensitive ears",
            "sensitive ear wires",
            "allergic ears",
            "allergies",
            "nickel allergy",
            "allergic people",
            "people with allergies",
            "people with sensitive ears",
            "hypoallergenic ear wires",
            "hypoallergenic earrings",
        ],
    ),
    (
        Use::HeavyClasp,
        &[
            "heavy clasp",
            "heavy clasps",
            "clasp for heavy necklace",
            "clasp of heavy necklace",
            "heavy necklace",
            "heavy necklaces",
        ],
    ),
    (Use::ChainLinks, &["chain", "chains", "chain links", "links", "links of chain"]),
    (
        Use::FineBeads,
        &[
            "beads with fine hole",
            "beads with small hole",
            "beads with small holes",
            "beads with fine holes",
            "fine beads",
            "small beads",
            "pearls",
            "seed beads",
            "small holes",
            "fine holes",
        ],
    ),
    (
        Use::Practice,
        &[
            "practice",
            "practise",
            "practising",
            "practicing",
            "practise with",
            "practice with",
            "learn with",
            "learning",
            "beginner",
            "beginners",
            "start with",
        ],
    ),
    (Use::Fusing, &["fusing", "fuse", "fused rings", "fused links"]),
    (
        Use::MemoryCoil,
        &[
            "springy bracelet coil",
            "springy bracelet",
            "springy coil",
            "bracelet coil",
            "bracelet that springs back",
            "memory bracelet",
            "memory coil",
            "coil bracelet",
        ],
    ),
];

/// Wire for ears that bear little, named by what it is.
const GENTLE: [&str; 4] =
    ["hypoallergenic wire", "nickel-free wire", "nickel free wire", "allergy free wire"];

/// The answer to a line that asks wire for a use; nothing for any other line.
pub(super) fn answer_wire_for(typed: &str) -> Option<Answer> {
    let lower = typed.to_lowercase();
    let wanted = use_in(lower.trim().trim_end_matches(['?', '!', '.']).trim())?;
    Some(Answer {
        headline: text!("ask-wire-for-compares", wanted = wanted.shown()),
        opens: Some(View::WhichWire),
        wire_for: Some(wanted),
        choose: Some(wanted.request()),
        ..Answer::default()
    })
}

/// The use that a line asks wire for.
fn use_in(line: &str) -> Option<Use> {
    if GENTLE.contains(&line) {
        return Some(Use::SensitiveEars);
    }
    let asks = phrases_of(Question::WhichWire).chain(["wire"]);
    let asks = asks.map(|phrase| phrase.strip_suffix(" for").unwrap_or(phrase));
    let rest = asks.filter_map(|phrase| line.strip_prefix(phrase)).find_map(|rest| {
        let rest = ["is best", "is good", "do i need", "do i use", "should i use", "to use"]
            .iter()
            .fold(rest.trim_start(), |rest, more| rest.strip_prefix(more).unwrap_or(rest).trim_start());
        rest.strip_prefix("for ").or_else(|| rest.strip_prefix("to "))
    })?;
    let words: Vec<&str> =
        rest.split_whitespace().filter(|word| !["a", "an", "the", "my", "some"].contains(word)).collect();
    let rest = words.join(" ");
    USES.iter().find(|(_, names)| names.contains(&rest.as_str())).map(|(wanted, _)| *wanted)
}
