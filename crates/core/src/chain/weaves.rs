//! The weaves every maker knows: who links whom. All else about them is worked out.

use std::sync::OnceLock;

use super::weave::{Fold, Link, LinkSide, Repeats, RingAt, Weave};
use lorimant_text::text;

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
    // Chains that were saved before the two spirals were told apart are twists.
    let word = if word == "spiral" { "three-strand-twist" } else { word };
    all().iter().find(|known| known.word == word)
}

/// A quarter turn from cell to cell.
const QUARTER: Repeats = Repeats::Chain { turn_deg: Some(90.0) };
/// No turn from cell to cell.
const STRAIGHT: Repeats = Repeats::Chain { turn_deg: Some(0.0) };

/// Each of some rings through each of some others, in each of these cells on.
fn each(rings: &[usize], others: &[usize], cells_along: &[i32]) -> Vec<Link> {
    let mut links = vec![];
    for &ring in rings {
        for &through in others {
            links.extend(cells_along.iter().map(|&cells_along| Link {
                ring,
                through,
                cells_along,
                cells_across: 0,
            }));
        }
    }
    links
}

/// Two rings of a sheet, at each of these cells on and aside.
fn across(at: &[(i32, i32)]) -> Vec<Link> {
    let link = |&(cells_along, cells_across)| Link { ring: 0, through: 1, cells_along, cells_across };
    at.iter().map(link).collect()
}

/// Each of a pair folded over another pair of its cell, held by a third pair.
fn folded(pair: [usize; 2], over: [usize; 2], held_by: [usize; 2], cells_along: i32) -> Vec<Fold> {
    let here = |ring| RingAt { ring, cells_along: 0 };
    let held_by: Vec<RingAt> = held_by.iter().map(|&ring| RingAt { ring, cells_along }).collect();
    let fold = |&ring: &usize| Fold { ring, over: over.map(here), held_by: held_by.clone() };
    pair.iter().map(fold).collect()
}

fn weave(name: &str, rings: &[&str], links: Vec<Link>, goes_on: Repeats) -> Weave {
    let rings = rings.iter().map(|part| (*part).to_owned()).collect();
    Weave { name: name.to_owned(), rings, links, repeats: goes_on, folds: vec![], side: None }
}

/// Each ring through the next two, turned as it likes.
fn spiral(name: &str, side: LinkSide) -> Weave {
    let free = Repeats::Chain { turn_deg: None };
    Weave { side: Some(side), ..weave(name, &[text!("weaves-ring")], each(&[0], &[0], &[1, 2]), free) }
}

fn written() -> Vec<Known> {
    let mut boxed = weave(
        text!("weaves-box"),
        &[
            text!("weaves-first-pair"),
            text!("weaves-first-pair"),
            text!("weaves-second-pair"),
            text!("weaves-second-pair"),
        ],
        [each(&[0, 1], &[2, 3], &[0]), each(&[2, 3], &[0, 1], &[1])].concat(),
        STRAIGHT,
    );
    boxed.folds = [folded([2, 3], [0, 1], [0, 1], 1), folded([0, 1], [2, 3], [2, 3], -1)].concat();
    let (connector, fold) = (text!("weaves-connector"), text!("weaves-fold"));
    let mut byzantine = weave(
        text!("weaves-byzantine"),
        &[connector, connector, fold, fold, fold, fold],
        [each(&[0, 1], &[2, 3], &[0]), each(&[2, 3], &[4, 5], &[0]), each(&[4, 5], &[0, 1], &[1])].concat(),
        QUARTER,
    );
    byzantine.folds = [folded([4, 5], [2, 3], [0, 1], 1), folded([2, 3], [4, 5], [0, 1], 0)].concat();
    vec![
        Known {
            word: "one-in-one",
            also: &["single", "cable", "1 in 1", "one in one"],
            weave: weave(
                text!("weaves-one-in-one"),
                &[text!("weaves-ring")],
                each(&[0], &[0], &[1]),
                QUARTER,
            ),
            usual: [2.8, 5.0],
            like: text!("weaves-plainest-each-ring-hangs-in"),
        },
        Known {
            word: "two-in-two",
            also: &["double", "2 in 2", "two in two"],
            weave: weave(
                text!("weaves-two-in-two"),
                &[text!("weaves-ring"); 2],
                each(&[0, 1], &[0, 1], &[1]),
                QUARTER,
            ),
            usual: [3.0, 5.0],
            like: text!("weaves-pairs-through-pairs-looks-light"),
        },
        Known {
            word: "three-in-three",
            also: &["triple", "3 in 3", "three in three"],
            weave: weave(
                text!("weaves-three-in-three"),
                &[text!("weaves-ring"); 3],
                each(&[0, 1, 2], &[0, 1, 2], &[1]),
                QUARTER,
            ),
            usual: [4.0, 6.0],
            like: text!("weaves-threes-through-threes-sturdy-for"),
        },
        Known {
            word: "box",
            also: &["box chain"],
            weave: boxed,
            usual: [4.2, 5.2],
            like: text!("weaves-pairs-folded-back-over-pairs"),
        },
        Known {
            word: "byzantine",
            also: &["byzantin"],
            weave: byzantine,
            usual: [3.4, 4.3],
            like: text!("weaves-folded-pairs-joined-by-connecting"),
        },
        Known {
            word: "half-persian-3-in-1",
            also: &["half persian three in one", "half persian 3 in 1", "half persian"],
            weave: weave(
                text!("weaves-half-persian-three-in-one"),
                &[text!("weaves-back-row"), text!("weaves-front-row")],
                each(&[0], &[1], &[-1, 0, 1]),
                STRAIGHT,
            ),
            usual: [4.1, 5.2],
            like: text!("weaves-two-rows-slanting-rings-flat"),
        },
        Known {
            word: "half-persian-4-in-1",
            also: &["half persian four in one", "half persian 4 in 1"],
            weave: weave(
                text!("weaves-half-persian-four-in-one"),
                &[text!("weaves-back-row"), text!("weaves-front-row")],
                each(&[0], &[1], &[-2, -1, 0, 1]),
                STRAIGHT,
            ),
            usual: [4.8, 6.0],
            like: text!("weaves-as-three-in-one-but"),
        },
        Known {
            word: "full-persian-6-in-1",
            also: &["full persian", "persian", "full persian six in one", "full persian 6 in 1"],
            weave: weave(
                text!("weaves-full-persian-six-in-one"),
                &[
                    text!("weaves-back-rows"),
                    text!("weaves-front-rows"),
                    text!("weaves-back-rows"),
                    text!("weaves-front-rows"),
                ],
                each(&[0, 2], &[1, 3], &[-1, 0, 1]),
                STRAIGHT,
            ),
            usual: [5.3, 6.5],
            like: text!("weaves-four-rows-that-slant-against"),
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
                text!("weaves-four-in-one-sheet"),
                &[text!("weaves-row"), text!("weaves-next-row")],
                across(&[(0, 0), (-1, 0), (0, -1), (-1, -1)]),
                Repeats::Sheet,
            ),
            usual: [3.5, 5.0],
            like: text!("weaves-rows-that-lean-in-turn"),
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
                text!("weaves-six-in-one-sheet"),
                &[text!("weaves-row"), text!("weaves-next-row")],
                across(&[(0, -1), (0, 0), (0, 1), (-1, -1), (-1, 0), (-1, 1)]),
                Repeats::Sheet,
            ),
            usual: [5.0, 6.5],
            like: text!("weaves-as-four-in-one-but"),
        },
        Known {
            word: "three-strand-twist",
            also: &["three strand twist", "three strand spiral", "spiral three strands", "twist chain"],
            weave: spiral(text!("weaves-three-strand-twist"), LinkSide::Alternating),
            usual: [3.2, 4.6],
            like: text!("weaves-each-ring-through-next-two-either-side"),
        },
        Known {
            word: "spiral-4-in-1",
            also: &[
                "four in one spiral",
                "4 in 1 spiral",
                "spiral four in one",
                "spiral 4 in 1",
                "spiral chain",
                "spiral",
            ],
            weave: spiral(text!("weaves-four-in-one-spiral"), LinkSide::Same),
            usual: [4.0, 5.2],
            like: text!("weaves-each-ring-through-next-two-same-side"),
        },
    ]
}
