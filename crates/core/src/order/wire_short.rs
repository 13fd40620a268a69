//! The wire that open orders are short of: what is due first takes what there is.

use jiff::civil::Date;

use crate::bench::schedule::agenda::{JobOf, Wanted};
use crate::rack::cut_plan::picked::by_wire;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::words::length::LengthUnit;
use crate::words::scale::of_wire;
use lorimant_text::text;

/// A wire of which there is not enough for an order.
#[derive(Debug, Clone, PartialEq)]
pub struct WireShort {
    /// The orders it is for, by their numbers.
    pub orders: Vec<i64>,
    /// What wire, in words: `soft copper, round 1 mm`.
    pub wire: String,
    /// How much of it is missing, mm.
    pub short_mm: f64,
}

/// What an order is short of, a line for each wire: `2.4 m of soft copper, round 1 mm`; rounded up to what a metre stick shows.
#[must_use]
pub fn lines_for(order: i64, short: &[WireShort], unit: LengthUnit) -> Vec<String> {
    let mut wires: Vec<(&str, f64)> = vec![];
    for one in short.iter().filter(|one| one.orders.contains(&order)) {
        match wires.iter_mut().find(|(wire, _)| *wire == one.wire) {
            Some((_, mm)) => *mm += one.short_mm,
            None => wires.push((&one.wire, one.short_mm)),
        }
    }
    let line = |(wire, mm): &(&str, f64)| {
        let length = of_wire((mm / STICK_MM).ceil() * STICK_MM, unit);
        text!("wire-short", length, wire)
    };
    wires.iter().map(line).collect()
}

/// What a metre stick is read to, mm.
const STICK_MM: f64 = 10.0;

/// Less than this is no shortage, mm: what a metre stick shows.
const LEAST_MM: f64 = 1.0;

/// What is missing of each wire for what is still to be cut, one entry for each job and wire that is short. What is due first
/// takes the wire there is, then what has no due day; of those alike, batches on the bench before lines not begun. `there` may
/// name a wire as often as it likes; lengths in mm. What is cut from which piece is not looked at: offcuts too short for a
/// blank make the cutting plan say more; a piece that cannot be made wants no wire.
#[must_use]
pub fn short_of(wanted: &[Wanted], there: &[(Wire, f64)], workshop: &Workshop) -> Vec<WireShort> {
    let mut turn: Vec<&Wanted> = wanted.iter().collect();
    turn.sort_by_key(|job| (job.due.unwrap_or(Date::MAX), matches!(job.of, JobOf::Line { .. })));
    let mut left: Vec<(Wire, f64)> = vec![];
    for (wire, mm) in there {
        match left.iter_mut().find(|(known, _)| known.stands_for(wire)) {
            Some((_, sum)) => *sum += mm,
            None => left.push((wire.clone(), *mm)),
        }
    }
    let mut all = vec![];
    for job in turn {
        let Some(picked) = job.to_cut() else { continue };
        let Ok(demands) = by_wire(&[picked], &[], workshop) else { continue };
        for demand in demands {
            let mut none = 0.0;
            let pile = left.iter_mut().find(|(known, _)| known.stands_for(&demand.wire));
            let pile = pile.map_or(&mut none, |(_, mm)| mm);
            let short_mm = demand.wanted_mm - pile.max(0.0);
            *pile -= demand.wanted_mm;
            if short_mm >= LEAST_MM {
                all.push(WireShort { orders: job.orders.clone(), wire: demand.label, short_mm });
            }
        }
    }
    all
}
