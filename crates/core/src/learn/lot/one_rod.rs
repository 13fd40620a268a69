//! Pieces measured off one rod: what they have in common, and how likely each factor of the lot makes them.

use super::rods::RodError;
use super::series::{Seen, Series};
use super::{Inside, LEAST_SPREAD_MM, MeasuredInside, by_size_mm, inside_with, wound_alike};
use crate::ring::RingRequest;
use crate::tool::cutting::Method;
use crate::tool::hand::HandSpread;
use crate::tool::mandrel::Mandrel;

/// Pieces measured off one rod: its own error is one for all of them, however they were cut.
pub(super) struct OneRod<'a> {
    pub wound: &'a RingRequest,
    pub of: Inside,
    /// Its readings, mm. They share what is not known of the rod, and the wire's size.
    pub series: Series,
    /// How far its rod is known to wind from its label, mm.
    pub off_mm: f64,
    /// The wire's share of that: one for all rods of a lot, mm.
    pub by_size_mm: f64,
}

impl<'a> OneRod<'a> {
    pub fn of(
        measured: &'a [MeasuredInside],
        hand: &HandSpread,
        rods_error: &dyn Fn(&Mandrel) -> RodError,
    ) -> Vec<Self> {
        let mut rods: Vec<Self> = vec![];
        let usual = |one: &MeasuredInside| inside_with(&one.wound, one.of, 1.0).unwrap_or(0.0);
        for (at, one) in measured.iter().enumerate() {
            let of_rod = |rod: &&mut Self| {
                let wire = |wound: &RingRequest| wound.wire.clone().of_any_lot();
                rod.wound.mandrel == one.wound.mandrel && wire(rod.wound) == wire(&one.wound)
            };
            let sawn = one.wound.cutting.method == Method::Saw;
            let own = hand.of_one(one.of == Inside::Ring, sawn, one.readings_n).max(LEAST_SPREAD_MM);
            let seen = |differs: f64| {
                let value = one.inside_mm - differs;
                Seen { at, value, differs, own, counts: !one.excluded }
            };
            match rods.iter_mut().find(of_rod) {
                Some(rod) => {
                    let alike = rod.of == one.of && wound_alike(rod.wound, &one.wound);
                    let first = inside_with(rod.wound, rod.of, 1.0).unwrap_or(0.0);
                    let differs_mm = if alike { 0.0 } else { usual(one) - first };
                    rod.series.seen.push(seen(differs_mm + rod.off_mm));
                }
                None => {
                    let RodError { off_mm, spread_mm } = rods_error(&one.wound.mandrel);
                    let by_size_mm = by_size_mm(&one.wound, one.of);
                    let shared = spread_mm.hypot(by_size_mm).max(LEAST_SPREAD_MM);
                    let series = Series { seen: vec![seen(off_mm)], shared, gives: vec![] };
                    rods.push(Self { wound: &one.wound, of: one.of, series, off_mm, by_size_mm });
                }
            }
        }
        rods
    }

    pub fn ask(&mut self, grid: &[f64]) {
        // Beyond the factor at which it springs straight the coil is larger than any that was measured.
        let gives = |flow: &f64| inside_with(self.wound, self.of, *flow).unwrap_or(1e4);
        self.series.gives = grid.iter().map(gives).collect();
    }
}
