//! Whether two pieces go together, asked in words.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::usual;
use lorimant_core::ask::{Kept, View, answer, piece};
use lorimant_core::piece::Piece;
use lorimant_core::piece::mate::mate;
use lorimant_core::tool::workshop::Workshop;
use rstest::rstest;

fn kept() -> Vec<Kept> {
    vec![Kept { name: "Reed clasp".into(), piece: Piece::Finding(usual("hook-clasp")) }]
}

#[rstest]
#[case("does a 6 mm ring of 1 mm copper go into a hook clasp")]
#[case("6 mm ring 1 mm wire copper goes with hook clasp?")]
#[case("Will a 6 mm ring 1 mm wire fit into the hook clasp")]
#[case("does a 6 mm ring of 1 mm copper go into my reed clasp")]
#[case("does a 6 mm ring of 1 mm copper go into reed")]
fn the_line_answers_as_the_two_pieces_do(#[case] line: &str) {
    let reply = answer(line, &Workshop::default(), &kept);
    assert!(reply.unclear.is_empty(), "{:?}", reply.unclear);
    let (ring, _) = piece("6 mm ring of 1 mm copper", &Workshop::default(), &Vec::new).unwrap();
    let fits = mate(&ring, &Piece::Finding(usual("hook-clasp")), &Workshop::default()).unwrap();
    for fit in &fits {
        assert!(reply.headline.contains(&fit.text), "{} has not {}", reply.headline, fit.text);
    }
    assert_eq!((reply.opens, reply.pattern.is_some()), (Some(View::Room), true));
}

#[test]
fn thick_wire_is_said_not_to_go() {
    let reply = answer(
        "does a ring 12 mm inside of 4 mm wire copper go into a hook clasp",
        &Workshop::default(),
        &Vec::new,
    );
    assert!(reply.headline.contains("Doesn't fit."), "{}", reply.headline);
}

#[rstest]
#[case("does a wobbly ring go into a hook clasp", "wobbly")]
#[case("does a 6 mm ring of 1 mm copper go into a teapot", "teapot")]
#[case("does a \u{212a}\u{23a}\u{23a} ring go into a hook clasp", "\u{23a}")]
fn what_is_no_piece_is_pointed_at_where_it_stands(#[case] line: &str, #[case] word: &str) {
    let reply = answer(line, &Workshop::default(), &Vec::new);
    assert!(reply.headline.is_empty() && reply.request.is_none() && reply.pattern.is_none());
    let unclear = &reply.unclear[0];
    let pointed: String = line.chars().skip(unclear.from).take(unclear.to - unclear.from).collect();
    assert!(pointed.contains(word), "{pointed}");
}

#[test]
fn a_ring_that_is_typed_without_its_metal_is_read_and_said_so() {
    let (ring, assumed) = piece("6 mm ring 18 ga", &Workshop::default(), &Vec::new).unwrap();
    assert!((ring.wire().size_mm - 1.0237).abs() < 1e-3 && !assumed.is_empty());
    let faults = piece("6 mm", &Workshop::default(), &Vec::new).unwrap_err();
    assert_eq!(faults.0[0].field, "typed");
}

/// Of a set the part that gives first is the one whose own route holds least.
#[test]
fn the_weakest_of_a_set_is_named() {
    use lorimant_core::piece::mate::weakest;
    let shop = Workshop::default();
    let part = |kind: &str| Piece::Finding(usual(kind));
    let parts = ["hook-clasp", "figure-eight", "coil-cap", "s-clasp"].map(part);
    let set = weakest(&parts, &shop).unwrap();
    let holds = |piece: &Piece| {
        let route = piece.route(&shop).unwrap();
        route.totals.holds.map(|holds| holds.pulls_open_n)
    };
    let least = parts.iter().filter_map(holds).fold(f64::INFINITY, f64::min);
    assert!((set.parts[0].holds.unwrap().pulls_open_n - least).abs() < 1e-12);
    // What does not bear stands last and gives nothing away.
    assert_eq!(set.parts.last().unwrap().name, "coil end cap");
    assert!(set.text.contains("gives way first"), "{}", set.text);
    assert_eq!(weakest(&parts[..1], &shop).unwrap_err().0[0].field, "parts");
}
