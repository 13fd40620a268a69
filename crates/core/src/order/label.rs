//! What stands on the label of a bag, so that it can be made again.

use super::Bag;
use crate::bench::Batch;
use crate::making::Operation;
use crate::piece::Piece;
use crate::tool::workshop::Workshop;
use crate::words::length::{LengthUnit, caliper, on_ruler, shown};

/// What stands on a label.
#[derive(Debug, Clone, PartialEq)]
pub struct BagLabel {
    /// What is in the bag.
    pub name: String,
    /// How many: `24 rings`, `6 pairs`.
    pub count: String,
    /// Titles with their texts, at most six: wire, wire per piece, rod or jaw, wraps, batch, place.
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
    ///     name: "ear wires".to_owned(), piece, schools: None, changes: Default::default(), batch: Some(7),
    ///     filled_on: date(2026, 3, 2), place: "drawer 4".to_owned(), n: 6, note: String::new(),
    /// };
    /// let label = bag.label(&Workshop::default());
    /// assert_eq!(label.count, "6 pairs");
    /// let titles: Vec<&str> = label.rows.iter().map(|(title, _)| *title).collect();
    /// assert_eq!(titles, ["wire", "each takes", "jaw", "wraps", "batch", "place"]);
    /// ```
    #[must_use]
    pub fn label(&self, workshop: &Workshop) -> BagLabel {
        let unit = workshop.habits.unit;
        let each = match &self.piece {
            Piece::Rings(request) => {
                let plan = request.plan().ok();
                plan.map(|plan| caliper(plan.wire_length_mm / f64::from(request.rings_n.max(1)), unit))
            }
            Piece::Chain(request) => {
                let plan = request.plan().ok();
                plan.map(|plan| format!("{} rings, {}", plan.rings_n, caliper(plan.finished_length_mm, unit)))
            }
            Piece::Finding(_) => {
                self.piece.blanks(workshop).ok().map(|blanks| on_ruler(blanks.flush_mm, unit))
            }
        };
        let (held, wraps) = self.formed_on(workshop, unit);
        let mut rows = vec![("wire", self.piece.wire().shown(unit))];
        rows.extend(each.map(|each| ("each takes", each)));
        rows.extend(held);
        rows.extend(wraps.map(|wraps| ("wraps", wraps)));
        rows.extend(self.batch.map(|batch| ("batch", batch.to_string())));
        if !self.place.trim().is_empty() {
            rows.push(("place", self.place.clone()));
        }
        BagLabel {
            name: self.name.clone(),
            count: self.piece.counted_as(self.n),
            rows,
            date: self.filled_on.to_string(),
        }
    }

    /// What it is wound or rolled on, and how often it is wrapped.
    fn formed_on(
        &self,
        workshop: &Workshop,
        unit: LengthUnit,
    ) -> (Option<(&'static str, String)>, Option<String>) {
        if let Piece::Chain(request) = &self.piece {
            let rod = request.ring.mandrel.shown_in(unit);
            return (Some(("rod", format!("{rod}, {}", request.ring.cutting.method.shown()))), None);
        }
        if let Piece::Rings(request) = &self.piece {
            let rod = request.mandrel.shown_in(unit);
            return (Some(("rod", format!("{rod}, {}", request.cutting.method.shown()))), None);
        }
        let batch = Batch {
            name: self.name.clone(),
            piece: self.piece.clone(),
            schools: self.schools,
            changes: self.changes.clone(),
        };
        let tasks = batch.tasks(workshop).unwrap_or_default();
        let mut places: Vec<String> = vec![];
        for task in tasks.iter().filter(|task| task.step.operation != Operation::Wrap) {
            if let Some(mm) = task.step.numbers.tool_mm {
                let place = caliper(mm, unit);
                if !places.contains(&place) {
                    places.push(place);
                }
            }
        }
        let wraps = tasks.iter().find(|task| task.step.operation == Operation::Wrap);
        let wraps = wraps.and_then(|task| task.step.numbers.turns_n).map(|n| shown(n, 2));
        ((!places.is_empty()).then(|| ("jaw", places.join(", "))), wraps)
    }
}
