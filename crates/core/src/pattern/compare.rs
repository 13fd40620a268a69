//! Two findings laid over each other: what differs, and where the other has to lie.

use serde::Serialize;

use super::form::FormedPiece;
use super::sentence::value_text;
use super::{PatternRequest, Unit};
use crate::drawing::Drawing;
use crate::fault::Faults;
use crate::shape::view::Side;
use crate::tool::workshop::Workshop;
use crate::words::length::{LengthUnit, caliper, on_ruler};
use lorimant_text::text;

/// A second finding over the first.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Comparison {
    /// What differs, each as here and there; empty where nothing does.
    pub differences: Vec<String>,
    /// The second from the front.
    pub drawing: Drawing,
    /// How far it is moved to the right to lie on the first, mm: not at all for one of the same kind, which starts
    /// where the first starts; otherwise middle on middle.
    pub shift_x_mm: f64,
    /// How far down, mm; otherwise top on top.
    pub shift_y_mm: f64,
}

/// Lengths that differ by less than a ruler or a caliper shows are alike, mm.
const ALIKE_MM: f64 = 0.005;

impl PatternRequest {
    /// Lays another finding over this one.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let compared = hook.compared(&hook, &Workshop::default()).unwrap();
    /// assert!(compared.differences.is_empty());
    /// ```
    ///
    /// # Errors
    /// Faults of either piece, at `here` or `there`.
    pub fn compared(&self, other: &Self, workshop: &Workshop) -> Result<Comparison, Faults> {
        let unit = workshop.habits.unit;
        let here = self.form_with(workshop).map_err(|faults| faults.within("here"))?;
        let there = other.form_with(workshop).map_err(|faults| faults.within("there"))?;
        let shift = if self.kind == other.kind { [0.0, 0.0] } else { here.laid_on(&there) };
        let mut drawing = there.drawn(Side::Front, unit).drawing;
        drawing.dimensions.clear();
        Ok(Comparison {
            differences: here.differences(&there, unit),
            drawing,
            shift_x_mm: shift[0],
            shift_y_mm: shift[1],
        })
    }
}

impl FormedPiece<'_> {
    fn differences(&self, other: &FormedPiece, unit: LengthUnit) -> Vec<String> {
        let (mine, theirs) = (self.request, other.request);
        let mut found = vec![];
        let mut differ = |label: &str, here: String, there: String| {
            if here != there {
                found.push(text!("compare-here-there", label, here, there));
            }
        };
        if mine.kind == theirs.kind {
            for parameter in mine.kind.0.parameters {
                let (a, b) = (mine.value(parameter.name), theirs.value(parameter.name));
                let alike = if parameter.unit == Unit::Mm { ALIKE_MM } else { 1e-9 };
                if (a - b).abs() > alike {
                    let text = |value| value_text(parameter, value, unit);
                    differ(parameter.label.as_str(), text(a), text(b));
                }
            }
        }
        differ("wire", mine.wire.shown(unit), theirs.wire.shown(unit));
        let (a, b) = (self.blank(unit), other.blank(unit));
        differ(text!("compare-cut-length"), on_ruler(a.flush_mm, unit), on_ruler(b.flush_mm, unit));
        let lengths = [
            ("height", self.extent.size().y, other.extent.size().y),
            ("width", self.extent.size().x, other.extent.size().x),
        ];
        for (label, a, b) in lengths.into_iter().filter(|(_, a, b)| (a - b).abs() > ALIKE_MM) {
            differ(label, caliper(a, unit), caliper(b, unit));
        }
        found
    }

    /// How far another piece is moved on paper, right and down, to lie middle on middle and top on top.
    fn laid_on(&self, other: &FormedPiece) -> [f64; 2] {
        let middle = |formed: &FormedPiece| (formed.extent.least.x + formed.extent.most.x) / 2.0;
        // Paper runs down, the bench runs up.
        [middle(self) - middle(other), other.extent.most.y - self.extent.most.y]
    }
}
