//! What a caliper can be laid on: the dimensions of a formed piece, as it was drawn or as it came out.

use super::Unit;
use super::design::{DimensionPlace, Forming};
use super::form::FormedPiece;
use crate::making::Operation;
use crate::shape::Course;
use crate::words::words;
use lorimant_text::text;

words! {
    /// What kind of dimension something is: how evenly it is made depends on it.
    pub enum Measures ("measures") {
        /// Across the inside of a loop that is rolled, or of a coil or ring that is wound.
        Inside = "inside";
        /// Across the inside of what is bent over a tool.
        Bend = "bend";
        /// Across a ball.
        Ball = "ball";
        /// Along something straight, or over all.
        Length = "length";
        /// Between two ends that meet.
        Gap = "gap";
        /// Across the wire.
        Wire = "wire";
    }
}

/// One dimension of a piece.
#[derive(Debug, Clone, PartialEq)]
pub struct Measure {
    /// Its key: a parameter's name, or `height`, `width`, `wire`, `gap-eye`.
    pub key: String,
    /// What it is called.
    pub what: String,
    /// What kind it is.
    pub kind: Measures,
    /// How large it is, mm.
    pub mm: f64,
}

impl FormedPiece<'_> {
    /// Everything a caliper can be laid on, the dimensions of the drawing first.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let measures = hook.form().unwrap().measures();
    /// // What is drawn is what was asked for.
    /// let eye = measures.iter().find(|measure| measure.key == "eye_mm").unwrap();
    /// assert!((eye.mm - hook.value("eye_mm")).abs() < 1e-9);
    /// ```
    pub fn measures(&self) -> Vec<Measure> {
        let mut measures = self.sizes();
        for closure in &self.design.closures {
            let Some(landing) = self.landing(closure).filter(|landing| landing.gap_mm.is_finite()) else {
                continue;
            };
            let key = format!("gap-{}", closure.what.replace(' ', "-"));
            if measures.iter().any(|measure: &Measure| measure.key == key) {
                continue;
            }
            let what = text!("pattern-measure-gap", what = closure.what);
            measures.push(Measure { key, what, kind: Measures::Gap, mm: landing.gap_mm.max(0.0) });
        }
        let mm = self.design.profile.thickness_mm();
        measures.push(Measure {
            key: "wire".to_owned(),
            what: text!("pattern-measure-wire").to_owned(),
            kind: Measures::Wire,
            mm,
        });
        measures
    }

    /// Those of its shape: the dimensions of the drawing, and what it covers.
    pub(super) fn sizes(&self) -> Vec<Measure> {
        let mut measures = vec![];
        for (name, lies) in &self.design.dimensions {
            let Some(parameter) = self.request.kind.0.parameter(name) else { continue };
            let Some((kind, mm)) = self.laid(*lies).filter(|_| parameter.unit == Unit::Mm) else { continue };
            measures.push(Measure {
                key: (*name).to_owned(),
                what: parameter.label.to_owned().to_string(),
                kind,
                mm,
            });
        }
        let size = self.extent.size();
        for (key, mm) in [("height", size.y), ("width", size.x)] {
            measures.push(Measure { key: key.to_owned(), what: key.to_owned(), kind: Measures::Length, mm });
        }
        measures
    }

    /// How large a drawn dimension is, mm; nothing for an angle.
    fn laid(&self, lies: DimensionPlace) -> Option<(Measures, f64)> {
        let placed = |i: usize| self.path.placed.get(i);
        match lies {
            DimensionPlace::Along(i) => Some((Measures::Length, placed(i)?.length_mm)),
            DimensionPlace::From(i, j) => {
                Some((Measures::Length, placed(i)?.at(0.0).0.distance(placed(j)?.at(1.0).0)))
            }
            DimensionPlace::Across(i) | DimensionPlace::AcrossBeside(i) => {
                let mm = match self.design.segments.get(i)?.course {
                    Course::Ball { diameter_mm } => return Some((Measures::Ball, diameter_mm)),
                    Course::Oval { long_mm, .. } => long_mm,
                    course => course.tightest_mm()?,
                };
                Some((if self.is_rolled(i) { Measures::Inside } else { Measures::Bend }, mm))
            }
            DimensionPlace::Angle(_) => None,
        }
    }

    /// Whether a segment is rolled on a jaw.
    fn is_rolled(&self, i: usize) -> bool {
        let rolls = |step: &Forming| step.kind == Operation::Loop && step.segments.contains(&i);
        self.design.steps.iter().any(rolls)
    }
}
