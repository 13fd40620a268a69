//! What the tests of the core make: a workshop, wires, plans and findings as they are usually made.
#![allow(dead_code, clippy::unwrap_used, clippy::panic, missing_docs)]

pub mod hands;
pub mod schedulers;

use std::collections::BTreeMap;

use lorimant_core::chance::Chance;
use lorimant_core::making::Changes;
use lorimant_core::pattern::measure::{Measure, Measures};
use lorimant_core::pattern::slipped::Slips;
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::method::{CutWhen, FlatTo, Hardening, Methods, Rounding, Straightening, WrapTail};
use lorimant_core::tool::plier::{Jaws, Plier};
use lorimant_core::tool::workshop::{StartSet, Workshop};
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use proptest::prelude::*;

pub fn soft_copper(size_mm: f64) -> Wire {
    Wire::round(Metal::Copper, size_mm, Temper::Soft)
}

/// One ring of soft copper, wound by hand and sawn.
pub fn ring_of(size_mm: f64, rod_mm: f64) -> RingRequest {
    RingRequest::new(soft_copper(size_mm), Mandrel::round(rod_mm), 1)
}

/// Round-nose pliers with a slim jaw.
pub fn slim_pliers() -> Plier {
    Plier {
        name: "slim round-nose".to_owned(),
        jaws: Jaws::RoundNose,
        tip_mm: Some(1.2),
        base_mm: Some(5.5),
        length_mm: Some(24.0),
        reach_mm: None,
        measured: vec![],
        diameters_mm: vec![],
    }
}

/// Metric drills by halves and slim round-nose pliers.
pub fn bench() -> Workshop {
    Workshop { rods: StartSet::MetricHalves.rods(), pliers: vec![slim_pliers()], ..Workshop::default() }
}

/// A finding as it is usually made.
pub fn usual(kind: &str) -> PatternRequest {
    PatternRequest::usual(kind.parse().unwrap())
}

/// The same with some dimensions changed.
pub fn with(kind: &str, changes: &[(&str, f64)]) -> PatternRequest {
    let mut request = usual(kind);
    request.parameters.extend(changes.iter().map(|(name, value)| ((*name).to_owned(), *value)));
    request
}

pub fn kinds() -> impl Strategy<Value = Kind> {
    prop::sample::select(Kind::all().collect::<Vec<_>>())
}

/// A workshop with a tapered plier that suits loops of three millimetres.
pub fn tapered() -> Workshop {
    let plier: Plier = serde_json::from_str(
        r#"{"name": "slim round-nose", "jaws": "round-nose", "tip_mm": 1.2, "base_mm": 6.5, "length_mm": 28}"#,
    )
    .unwrap();
    Workshop { pliers: vec![plier], ..Workshop::default() }
}

/// What a piece with one fault in it measures, hands and caliper being uneven as they are.
pub fn planted(
    request: &PatternRequest,
    slips: &Slips,
    chance: &mut Chance,
    workshop: &Workshop,
) -> BTreeMap<String, f64> {
    let formed = request.form().unwrap().by(workshop.methods);
    let made = formed.made(&Changes::default(), workshop).unwrap();
    let spread = |kind| match kind {
        Measures::Inside | Measures::Bend | Measures::Ball => 0.04,
        Measures::Length => 0.12,
        Measures::Gap => 0.02,
        Measures::Wire => 0.004,
    };
    let uneven =
        |measure: Measure| (measure.key, (measure.mm + chance.normal(spread(measure.kind))).max(0.0));
    formed.slipped(&made, slips).measures().into_iter().map(uneven).collect()
}

/// Each way of making that changes a number, one after the other.
pub fn ways() -> Vec<Methods> {
    let usual = Methods::default();
    vec![
        usual,
        Methods { straightening: Straightening::Pulls, pulls_n: 8, ..usual },
        Methods { straightening: Straightening::AfterCutting, pulls_n: 12, ..usual },
        Methods { flat_to: FlatTo::Spool, ..usual },
        Methods { cut: CutWhen::OnSpool, ..usual },
        Methods { cut: CutWhen::Long, ..usual },
        Methods { wrap_tail: WrapTail::Gripped, ..usual },
        Methods { rounding: Rounding::Barrel, ..usual },
        Methods { hardening: Hardening::Tumble, ..usual },
    ]
}
