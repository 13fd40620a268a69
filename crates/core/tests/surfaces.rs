//! What lies on a wire: what it must not be put through, and what it cannot stand for.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{bench, usual};
use lorimant_core::making::Changes;
use lorimant_core::pattern::PatternRequest;
use lorimant_core::rack::stock::Lot;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::surface::Surface;
use lorimant_core::words::length::LengthUnit;
use lorimant_core::words::sentence::Change;
use rstest::rstest;

fn covered(metal: Metal, surface: Surface) -> Wire {
    Wire { surface, ..Wire::round(metal, 1.0, Temper::Soft) }
}

#[rstest]
#[case(Surface::Plated, "its plating would melt into the core or burn off")]
#[case(Surface::Coated, "poisonous fumes")]
#[case(Surface::Galvanised, "zinc would burn")]
fn the_torch_is_refused_with_its_reason(#[case] surface: Surface, #[case] why: &str) {
    for heat in ["anneal", "solder"] {
        let place = if heat == "anneal" { r#""before": "loop""# } else { r#""after": "close""# };
        let route: Changes =
            serde_json::from_str(&format!(r#"{{"with": [{{"operation": "{heat}", {place}}}]}}"#)).unwrap();
        let eight = PatternRequest { wire: covered(Metal::Copper, surface), route, ..usual("figure-eight") };
        let shop = Workshop::default();
        let refused =
            eight.form_with(&shop).unwrap().made(&Changes::default(), &shop).unwrap_err().0.remove(0);
        assert!(refused.field.starts_with("route.") && refused.message.contains(why), "{refused:?}");
        // Bare wire of the same metal may be heated.
        let bare = PatternRequest { wire: covered(Metal::Copper, Surface::Bare), ..eight };
        assert!(bare.form_with(&shop).unwrap().made(&Changes::default(), &shop).is_ok());
    }
}

#[test]
fn covered_wire_does_not_stand_for_bare() {
    let [bare, plated] = [Surface::Bare, Surface::Plated].map(|surface| covered(Metal::Copper, surface));
    assert!(!bare.stands_for(&plated) && !plated.stands_for(&bare) && plated.stands_for(&plated.clone()));
    // Filled wire of a filled metal is just that.
    let filled = covered(Metal::GoldFilled, Surface::Filled);
    assert!(filled.stands_for(&covered(Metal::GoldFilled, Surface::Bare)));
    assert!(!covered(Metal::Brass, Surface::Filled).stands_for(&covered(Metal::Brass, Surface::Bare)));
    let lot = |surface: &str| {
        let text = format!(
            r#"{{"name": "A", "wire": {{"metal": "copper", "size_mm": 1.0}}, "surface": "{surface}"}}"#
        );
        serde_json::from_str::<Lot>(&text).unwrap()
    };
    assert!(
        lot("plated").covered_wire().stands_for(&plated) && !lot("coated").covered_wire().stands_for(&plated)
    );
    let twice: Lot = serde_json::from_str(
        r#"{"name": "A", "wire": {"metal": "copper", "size_mm": 1.0, "surface": "plated"}}"#,
    )
    .unwrap();
    assert!(twice.check().unwrap_err().0.iter().any(|fault| fault.field == "wire.surface"));
}

#[test]
fn it_is_said_with_the_metal_and_read_back() {
    let hook = usual("hook-clasp");
    let text = |text: &str| hook.changed("metal", &Change::Typed(text.to_owned()), &bench()).unwrap().wire;
    assert_eq!(
        (text("plated copper").metal, text("plated copper").surface),
        (Metal::Copper, Surface::Plated)
    );
    assert_eq!((text("coated").metal, text("coated").surface), (Metal::SterlingSilver, Surface::Coated));
    let plated = PatternRequest { wire: text("plated copper"), ..hook.clone() };
    assert!(
        plated.wire.shown(LengthUnit::Mm).contains("plated copper"),
        "{}",
        plated.wire.shown(LengthUnit::Mm)
    );
    let bare = plated.changed("metal", &Change::Typed("brass".to_owned()), &bench()).unwrap().wire;
    assert_eq!(bare.surface, Surface::Bare, "a metal said alone is bare");
    let coated =
        hook.choices("metal", &bench()).into_iter().find(|choice| choice.label == "coated wire").unwrap();
    assert_eq!(coated.request.wire.surface, Surface::Coated);
}
