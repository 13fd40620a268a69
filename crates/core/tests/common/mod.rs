//! What the tests of the core make: a workshop, wires, plans and findings as they are usually made.
#![allow(dead_code, clippy::unwrap_used, missing_docs)]

use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::mandrel::Mandrel;
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
