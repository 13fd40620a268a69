//! Recipes worked out for a single that nothing kept matches.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::order::recipe::{Recipe, UnknownSingle};
use lorimant_core::order::single::Single;
use lorimant_core::pattern::backwards::Measure;
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::piece::Piece;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::words::length::LengthUnit;
use rstest::rstest;

/// What a caliper shows of a piece.
fn measured(request: &PatternRequest) -> Single {
    let formed = request.form().unwrap();
    let size = formed.extent.size();
    Single {
        wire_mm: Some(request.wire.size_mm),
        long_mm: Some(size.x.max(size.y)),
        short_mm: Some(size.x.min(size.y)),
        inside_mm: formed.design.openings.first().map(|opening| opening.inside_mm),
    }
}

fn recipes(measured: Single, metal: Metal) -> Vec<Recipe> {
    UnknownSingle { measured, metal }.recipes(&Workshop::default()).unwrap()
}

/// A lost piece of any pattern, a little larger than is usual: the pattern is among what is offered, and all that is
/// offered measures as the lost one.
#[rstest]
fn a_lost_piece_of_any_pattern_is_among_its_recipes() {
    for kind in Kind::all() {
        let usual = PatternRequest { count_singles: true, ..PatternRequest::usual(kind) };
        let mut lost = usual.clone();
        for measure in [Measure::Height, Measure::Width] {
            let name = usual.gives_way(measure);
            // Turns are made whole.
            let grown = 1.12 * usual.value(name);
            let value = if name == "turns_n" { grown.round() } else { grown };
            lost.parameters.insert(name.to_owned(), value);
        }
        let lost = if lost.form().is_ok() { lost } else { usual };
        let single = measured(&lost);
        let found = recipes(single, lost.wire.metal);
        let is_it = |recipe: &&Recipe| match &recipe.piece {
            Piece::Finding(request) => request.kind == kind,
            _ => kind.0.kind.ends_with("-ring"),
        };
        let word = kind.0.kind;
        assert!(
            found.iter().any(|one| is_it(&one)),
            "{word}: {:?}",
            found.iter().map(|one| &one.description).collect::<Vec<_>>()
        );
        let pieces: Vec<Piece> = found.iter().map(|one| one.piece.clone()).collect();
        let alike = single.alike(&pieces, LengthUnit::Mm).unwrap();
        assert!(alike.len() == pieces.len() && alike.iter().all(|one| one.fits), "{word}: {alike:?}");
        assert!(found.windows(2).all(|two| two[0].unusual <= two[1].unusual), "{word}");
    }
}

/// Only what a hook shares with its single is taken from it: the eye is as measured, the height follows.
#[test]
fn a_hook_gets_its_eye_and_its_height() {
    let hook = |eye: f64, bend: f64| {
        let mut hook = PatternRequest::usual("hook-clasp".parse().unwrap());
        hook.parameters.extend([("eye_mm".to_owned(), eye), ("bend_mm".to_owned(), bend)]);
        hook
    };
    let lost = hook(3.4, 7.0);
    let found = recipes(measured(&lost), Metal::Copper);
    let again = found.iter().find_map(|one| match &one.piece {
        Piece::Finding(request) if request.kind == lost.kind => Some(request),
        _ => None,
    });
    let again = again.unwrap();
    assert!((again.value("eye_mm") - 3.4).abs() < 1e-9, "{}", again.value("eye_mm"));
    let height = |request: &PatternRequest| request.measure(Measure::Height).unwrap();
    assert!((height(again) - height(&lost)).abs() < 0.8);
}

/// The rod for a lost ring gives that ring: a ring of any metal, measured, comes out again.
#[rstest]
#[case(Metal::SterlingSilver, 0.8, 4.0)]
#[case(Metal::StainlessSteel, 1.0, 8.0)]
#[case(Metal::Copper, 1.2, 5.5)]
fn a_lost_ring_gets_its_rod(#[case] metal: Metal, #[case] size_mm: f64, #[case] rod_mm: f64) {
    let wire = Wire::round(metal, size_mm, Temper::Soft);
    let inside = RingRequest::new(wire, Mandrel::round(rod_mm), 1).plan().unwrap().ring_inside_diameter_mm;
    let across = Some(inside + 2.0 * size_mm);
    let single =
        Single { wire_mm: Some(size_mm), long_mm: across, short_mm: across, inside_mm: Some(inside) };
    let found = recipes(single, metal);
    let Piece::Rings(again) = &found[0].piece else { panic!("{}", found[0].description) };
    assert!((again.plan().unwrap().ring_inside_diameter_mm - inside).abs() < 0.1);
    assert!((again.mandrel.diameter_mm - rod_mm).abs() < 0.1, "{}", again.mandrel.diameter_mm);
}

#[test]
fn a_recipe_needs_its_wire() {
    let measured = Single { long_mm: Some(20.0), short_mm: Some(8.0), ..Single::default() };
    let faults = UnknownSingle { measured, metal: Metal::Copper }.recipes(&Workshop::default()).unwrap_err();
    assert_eq!(faults.0[0].field, "wire_mm");
    let one =
        UnknownSingle { measured: Single { wire_mm: Some(1.0), ..Single::default() }, metal: Metal::Copper };
    assert!(one.recipes(&Workshop::default()).is_err());
}
