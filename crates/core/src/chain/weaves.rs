//! The weaves every maker knows: who links whom. All else about them is worked out.

use std::sync::OnceLock;

use super::weave::{Fold, GoesOn, Link, RingAt, Weave};

/// A weave of the trade.
#[derive(Debug, Clone, PartialEq)]
pub struct Known {
    /// Its word: `byzantine`.
    pub word: &'static str,
    /// Other names it is asked for by.
    pub also: &'static [&'static str],
    /// What it is.
    pub weave: Weave,
    /// Ratios of inside to wire that makers usually take, about: below it is stiff, above loose. Our own judgement, not a
    /// limit.
    pub usual: [f64; 2],
    /// What it is like, in a sentence.
    pub like: &'static str,
}

/// All of them, from the simplest on.
pub fn all() -> &'static [Known] {
    static ALL: OnceLock<Vec<Known>> = OnceLock::new();
    ALL.get_or_init(written)
}

/// One by its word.
///
/// ```
/// use lorimant_core::chain::weaves::by_word;
///
/// assert_eq!(by_word("byzantine").unwrap().weave.rings_n(), 6);
/// assert!(by_word("knitted").is_none());
/// ```
#[must_use]
pub fn by_word(word: &str) -> Option<&'static Known> {
    all().iter().find(|known| known.word == word)
}

/// A quarter turn from cell to cell.
const QUARTER: GoesOn = GoesOn::Chain { turn_deg: Some(90.0) };
/// No turn from cell to cell.
const STRAIGHT: GoesOn = GoesOn::Chain { turn_deg: Some(0.0) };

/// Each of some rings through each of some others, in each of these cells on.
fn each(rings: &[usize], others: &[usize], cells_on: &[i32]) -> Vec<Link> {
    let mut links = vec![];
    for &ring in rings {
        for &through in others {
            links.extend(cells_on.iter().map(|&cells_on| Link { ring, through, cells_on, cells_aside: 0 }));
        }
    }
    links
}

/// Two rings of a sheet, at each of these cells on and aside.
fn across(at: &[(i32, i32)]) -> Vec<Link> {
    let link = |&(cells_on, cells_aside)| Link { ring: 0, through: 1, cells_on, cells_aside };
    at.iter().map(link).collect()
}

/// Each of a pair folded over another pair of its cell, held by a third pair.
fn folded(pair: [usize; 2], over: [usize; 2], held_by: [usize; 2], cells_on: i32) -> Vec<Fold> {
    let here = |ring| RingAt { ring, cells_on: 0 };
    let held_by: Vec<RingAt> = held_by.iter().map(|&ring| RingAt { ring, cells_on }).collect();
    let fold = |&ring: &usize| Fold { ring, over: over.map(here), held_by: held_by.clone() };
    pair.iter().map(fold).collect()
}

fn weave(name: &str, rings: &[&str], links: Vec<Link>, goes_on: GoesOn) -> Weave {
    let rings = rings.iter().map(|part| (*part).to_owned()).collect();
    Weave { name: name.to_owned(), rings, links, goes_on, folds: vec![] }
}

fn written() -> Vec<Known> {
    let mut boxed = weave(
        "box",
        &["first pair", "first pair", "second pair", "second pair"],
        [each(&[0, 1], &[2, 3], &[0]), each(&[2, 3], &[0, 1], &[1])].concat(),
        STRAIGHT,
    );
    boxed.folds = [folded([2, 3], [0, 1], [0, 1], 1), folded([0, 1], [2, 3], [2, 3], -1)].concat();
    let mut byzantine = weave(
        "Byzantine",
        &["connector", "connector", "fold", "fold", "fold", "fold"],
        [each(&[0, 1], &[2, 3], &[0]), each(&[2, 3], &[4, 5], &[0]), each(&[4, 5], &[0, 1], &[1])].concat(),
        QUARTER,
    );
    byzantine.folds = [folded([4, 5], [2, 3], [0, 1], 1), folded([2, 3], [4, 5], [0, 1], 0)].concat();
    vec![
        Known {
            word: "one-in-one",
            also: &["single", "cable", "1 in 1", "one in one"],
            weave: weave("one in one", &["ring"], each(&[0], &[0], &[1]), QUARTER),
            usual: [2.8, 5.0],
            like: "The plainest: each ring hangs in the one before. One ring carries the whole load at each \
                   point.",
        },
        Known {
            word: "two-in-two",
            also: &["double", "2 in 2", "two in two"],
            weave: weave("two in two", &["ring"; 2], each(&[0, 1], &[0, 1], &[1]), QUARTER),
            usual: [3.0, 5.0],
            like: "Pairs through pairs. It looks light, weighs more, and survives one ring opening.",
        },
        Known {
            word: "three-in-three",
            also: &["triple", "3 in 3", "three in three"],
            weave: weave("three in three", &["ring"; 3], each(&[0, 1, 2], &[0, 1, 2], &[1]), QUARTER),
            usual: [4.0, 6.0],
            like: "Threes through threes: sturdy, for large rings.",
        },
        Known {
            word: "box",
            also: &["box chain"],
            weave: boxed,
            usual: [4.2, 5.2],
            like: "Pairs folded back over pairs: square, dense, stiff near its smallest ratio.",
        },
        Known {
            word: "byzantine",
            also: &["byzantin"],
            weave: byzantine,
            usual: [3.4, 4.3],
            like: "Folded pairs joined by a connecting pair: supple, and it shows both faces of its rings.",
        },
        Known {
            word: "half-persian-3-in-1",
            also: &["half persian three in one", "half persian 3 in 1", "half persian"],
            weave: weave(
                "half Persian, three in one",
                &["back row", "front row"],
                each(&[0], &[1], &[-1, 0, 1]),
                STRAIGHT,
            ),
            usual: [4.1, 5.2],
            like: "Two rows of slanting rings, flat on one side. It lies flat and curves one way.",
        },
        Known {
            word: "half-persian-4-in-1",
            also: &["half persian four in one", "half persian 4 in 1"],
            weave: weave(
                "half Persian, four in one",
                &["back row", "front row"],
                each(&[0], &[1], &[-2, -1, 0, 1]),
                STRAIGHT,
            ),
            usual: [4.8, 6.0],
            like: "As three in one, but closer: each ring goes through four.",
        },
        Known {
            word: "full-persian-6-in-1",
            also: &["full persian", "persian", "full persian six in one", "full persian 6 in 1"],
            weave: weave(
                "full Persian, six in one",
                &["back rows", "front rows", "back rows", "front rows"],
                each(&[0, 2], &[1, 3], &[-1, 0, 1]),
                STRAIGHT,
            ),
            usual: [5.3, 6.5],
            like: "Four rows that slant against each other: square in section, the same on both sides.",
        },
        Known {
            word: "four-in-one-sheet",
            also: &[
                "european 4 in 1",
                "european four in one",
                "four in one",
                "4 in 1",
                "sheet",
                "four in one sheet",
                "4 in 1 sheet",
            ],
            weave: weave(
                "four-in-one sheet",
                &["row", "next row"],
                across(&[(0, 0), (-1, 0), (0, -1), (-1, -1)]),
                GoesOn::Sheet,
            ),
            usual: [3.5, 5.0],
            like: "Rows that lean in turn, each ring through four: a fabric that stretches across its length.",
        },
        Known {
            word: "six-in-one-sheet",
            also: &[
                "european 6 in 1",
                "european six in one",
                "six in one",
                "6 in 1",
                "six in one sheet",
                "6 in 1 sheet",
            ],
            weave: weave(
                "six-in-one sheet",
                &["row", "next row"],
                across(&[(0, -1), (0, 0), (0, 1), (-1, -1), (-1, 0), (-1, 1)]),
                GoesOn::Sheet,
            ),
            usual: [5.0, 6.5],
            like: "As four in one, but denser: each ring goes through three in each row beside it.",
        },
        Known {
            word: "spiral",
            // The links alternate in direction: a twist of three strands. What shops call the four-in-one spiral links
            // always the same way and wants larger rings; it is another weave, which is not known here yet.
            also: &["three strand twist", "three strand spiral", "spiral chain", "spiral three strands"],
            weave: weave(
                "three-strand twist",
                &["ring"],
                each(&[0], &[0], &[1, 2]),
                GoesOn::Chain { turn_deg: None },
            ),
            usual: [3.2, 4.6],
            like: "Each ring through the next two, always to the same side: round, and it twists like a rope.",
        },
    ]
}
