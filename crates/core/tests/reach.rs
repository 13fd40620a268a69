//! Whether the jaw still gets in where a bend is made.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::slim_pliers;
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::tool::plier::Plier;
use lorimant_core::tool::workshop::Workshop;
use rstest::rstest;

fn text(request: &PatternRequest) -> Vec<(String, String)> {
    let worked = request.sheet(&Workshop::default()).result.unwrap();
    let steps = worked.form.steps.into_iter();
    let hinted = steps.filter_map(|step| Some((step.named, step.hint?)));
    hinted.filter(|(_, hint)| hint.contains("in the way")).collect()
}

#[test]
fn as_they_are_usually_made_every_jaw_gets_in() {
    for kind in Kind::all() {
        for mirrored in [false, true] {
            let request = PatternRequest { mirrored, ..PatternRequest::usual(kind) };
            assert_eq!(text(&request), vec![], "{}", kind.0.kind);
        }
    }
}

/// A neck wider than the loops above it takes a jaw that the loops stand in.
#[rstest]
#[case(6.0, true)]
#[case(0.8, false)]
fn a_jaw_that_formed_wire_stands_in_is_named(#[case] notch_mm: f64, #[case] blocked: bool) {
    let mut request = PatternRequest::usual("trefoil-head-pin".parse().unwrap());
    request.parameters.insert("notch_mm".to_owned(), notch_mm);
    let text = text(&request);
    assert_eq!(!text.is_empty(), blocked, "{text:?}");
    if let Some((named, hint)) = text.first() {
        assert!(named.contains("neck") && hint.contains("in the way of the jaw"), "{named}: {hint}");
    }
}

/// Flattened ends bring the wire nearer to the jaw; that is no obstacle.
#[test]
fn an_end_hammered_before_it_is_rolled_is_not_in_its_own_way() {
    let mut request = PatternRequest::usual("doubled-hook".parse().unwrap());
    request.parameters.insert("ends_mm".to_owned(), 0.3);
    assert_eq!(text(&request), vec![]);
}

/// Pliers that are named are taken at their reach: what stands off farther than they reach is not in their way.
#[test]
fn short_jaws_do_not_meet_what_stands_far_off() {
    let plier = Plier { name: "stub".to_owned(), reach_mm: Some(2.0), ..slim_pliers() };
    let shop = Workshop { pliers: vec![plier], ..Workshop::default() };
    let mut request = PatternRequest::usual("trefoil-head-pin".parse().unwrap());
    request.parameters.insert("notch_mm".to_owned(), 6.0);
    request.plier = Some("stub".to_owned());
    // The loops lie in the plane of the bend, within any reach.
    let worked = request.sheet(&shop).result.unwrap();
    assert!(
        worked
            .form
            .steps
            .iter()
            .any(|step| step.unfit.as_ref().is_some_and(|why| why.contains("in the way")))
    );
    assert!((shop.pliers[0].reach_mm() - 2.0).abs() < 1e-12);
    assert!((slim_pliers().reach_mm() - 24.0).abs() < 1e-12);
}
