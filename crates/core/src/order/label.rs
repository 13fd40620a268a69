//! What stands on the label of a bag, so that it can be made again.

use super::Bag;
use crate::bench::Batch;
use crate::making::Operation;
use crate::piece::{Blanks, Piece};
use crate::ring::RingRequest;
use crate::tool::workshop::Workshop;
use crate::words::length::{LengthUnit, caliper, on_ruler};
use crate::words::scale::of_wire;
use lorimant_text::text;

/// What stands on a label.
#[derive(Debug, Clone, PartialEq)]
pub struct BagLabel {
    /// What is in the bag.
    pub name: String,
    /// How many: `24 rings`, `6 pairs`.
    pub count: String,
    /// Titles with their texts, at most eight: wire, cut or coils, rod or jaw, wraps, finish, batch, place.
    pub rows: Vec<(&'static str, String)>,
    /// The day it was filled.
    pub date: String,
}

impl Bag {
    /// What stands on its label, read off the route it was made by.
    ///
    /// ```
    /// use jiff::civil::date;
    /// use lorimant_core::order::bag::Bag;
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let piece = Piece::Finding(PatternRequest::usual("wrapped-ear-wire".parse().unwrap())).with_count(6);
    /// let bag = Bag {
    ///     name: "ear wires".to_owned(), piece, methods: None, changes: Default::default(), workshop: None,
    ///     batch: Some(7), filled_on: date(2026, 3, 2), place: "drawer 4".to_owned(), n: 6, note: String::new(),
    /// };
    /// let label = bag.label(&Workshop::default());
    /// assert_eq!(label.count, "6 pairs");
    /// let titles: Vec<&str> = label.rows.iter().map(|(title, _)| *title).collect();
    /// assert_eq!(titles, ["wire", "cut", "jaw", "wraps", "batch", "place"]);
    /// ```
    #[must_use]
    pub fn label(&self, workshop: &Workshop) -> BagLabel {
        let batch = self.as_made(self.n.max(1));
        let (piece, workshop) = batch.as_made(workshop);
        let unit = workshop.habits.unit;
        let mut rows = vec![(text!("label-row-wire"), piece.wire().shown(unit))];
        rows.extend(cut(&piece, &workshop));
        rows.extend(coils_of_chain(&piece, &workshop));
        rows.extend(formed_on(&batch, &piece, &workshop));
        let finish = piece.finish_told(&workshop);
        if !finish.is_empty() {
            rows.push((text!("label-row-finish"), finish));
        }
        rows.extend(self.batch.map(|batch| (text!("label-row-batch"), batch.to_string())));
        if !self.place.trim().is_empty() {
            rows.push((text!("label-row-place"), self.place.clone()));
        }
        BagLabel {
            name: self.name.clone(),
            count: self.piece.counted_as(self.n),
            rows,
            date: self.filled_on.to_string(),
        }
    }
}

/// What is cut for one, or wound for all: the numbers of the sheet.
fn cut(piece: &Piece, workshop: &Workshop) -> Option<(&'static str, String)> {
    let unit = workshop.habits.unit;
    match piece {
        Piece::Rings(request) => {
            Some((text!("label-row-coils"), request.plan_in(workshop).ok()?.coils_told()))
        }
        Piece::Chain(request) => {
            let plan = request.plan_in(workshop).ok()?;
            let length = caliper(plan.finished_length_mm, unit);
            Some((text!("label-row-rings"), text!("label-for", rings_n = plan.rings_n, length)))
        }
        Piece::Finding(_) => {
            Some((text!("label-row-cut"), on_ruler(piece.blanks(workshop).ok()?.flush_mm, unit)))
        }
    }
}

/// The coils a chain's rings are cut from, with the wire each takes.
fn coils_of_chain(piece: &Piece, workshop: &Workshop) -> Option<(&'static str, String)> {
    let Piece::Chain(_) = piece else { return None };
    let finished = piece.finished(workshop).ok()?;
    let coils = finished.cut.iter().map(|(_, Blanks { length_mm, n, .. })| {
        let length = of_wire(*length_mm, workshop.habits.unit);
        text!("label-coils", n = text!("count-coil", n = *n), length)
    });
    Some((text!("label-row-coils"), coils.collect::<Vec<_>>().join(", ")))
}

/// What it is formed on: rod and cut of rings, places on the jaws and wraps of a finding.
fn formed_on(batch: &Batch, piece: &Piece, workshop: &Workshop) -> Vec<(&'static str, String)> {
    let unit = workshop.habits.unit;
    let request = match piece {
        Piece::Finding(request) => request,
        Piece::Rings(request) => return vec![(text!("label-row-rod"), rod(request, unit))],
        Piece::Chain(request) => return vec![(text!("label-row-rod"), rod(&request.ring, unit))],
    };
    let mut places: Vec<String> = vec![];
    for task in batch.tasks(workshop).unwrap_or_default() {
        if let Some(mm) = task.step.numbers.tool_mm.filter(|_| task.step.operation != Operation::Wrap) {
            let place = caliper(mm, unit);
            if !places.contains(&place) {
                places.push(place);
            }
        }
    }
    let mut rows = vec![];
    if !places.is_empty() {
        rows.push((text!("label-row-jaw"), places.join(", ")));
    }
    rows.extend(request.wraps_told().map(|wraps| (text!("label-row-wraps"), wraps)));
    rows
}

fn rod(request: &RingRequest, unit: LengthUnit) -> String {
    format!("{}, {}", request.mandrel.shown_in(unit), request.cutting.method.shown())
}
