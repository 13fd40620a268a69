//! Mark out a blank.

use crate::making::run::{From, Marked};
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::words::length::{LengthUnit, on_ruler};
use crate::words::listed;
use lorimant_text::text;

/// Where each bend that is still to be made begins, marked while the wire is straight; of a fold its middle.
#[derive(Debug, Clone, PartialEq)]
pub struct MarkOut {
    /// The marks in the order they lie, those from the left end first.
    pub at: Vec<Marked>,
}

/// Minutes for one mark: the ruler laid on and a line of the marker.
const MARK_MIN: f64 = 0.08;

impl MarkOut {
    /// What is marked: `Mark where the bends start: 6.5 mm and 12 mm from the left end.` Nothing where there is no mark.
    #[must_use]
    pub fn told(&self, unit: LengthUnit) -> String {
        let of = |middle: bool| {
            let marks: Vec<&Marked> = self.at.iter().filter(|mark| mark.middle == middle).collect();
            let from = |far: bool| {
                let marks = marks.iter().filter(|mark| mark.far == far);
                let at: Vec<String> = marks.map(|mark| on_ruler(mark.mm, unit)).collect();
                (!at.is_empty()).then(|| match far {
                    true => text!("mark-out-from-right-end", at = listed(&at)),
                    false => text!("mark-out-from-left-end", at = listed(&at)),
                })
            };
            let ends: Vec<String> = [false, true].into_iter().filter_map(from).collect();
            let what = match (marks.len(), middle) {
                (_, true) => text!("mark-out-middle-fold"),
                (1, _) => text!("mark-out-where-bend-starts"),
                _ => text!("mark-out-where-bends-start"),
            };
            (!ends.is_empty()).then(|| text!("mark-out-mark", what, ends = ends.join("; ")))
        };
        let told: Vec<String> = [of(true), of(false)].into_iter().flatten().collect();
        told.join(" ")
    }
}

impl Perform for MarkOut {
    fn operation(&self) -> Operation {
        Operation::Mark
    }

    fn perform(&self, _: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let text = self.told(bench.unit());
        let template = match bench.pieces_n {
            1 => "",
            2 => text!("mark-out-for-second-lay-beside-first"),
            _ => text!("mark-out-for-others-lay-each-beside"),
        };
        let first = self.at.first().copied();
        #[expect(clippy::cast_precision_loss, reason = "a handful of marks")]
        let each_min = MARK_MIN * self.at.len() as f64;
        Ok(Done {
            what: text!("mark-out-blank").to_owned(),
            numbers: Numbers {
                from: first.map(|mark| if mark.far { From::FarEnd } else { From::NearEnd }),
                at_mm: first.map(|mark| mark.mm),
                times_n: u32::try_from(self.at.len()).ok(),
                ..Numbers::default()
            },
            text: format!("{text}{template}"),
            hints: vec![text!("mark-out-use-fine-permanent-marker-alcohol").to_owned()],
            takes: Takes::minutes(0.3, each_min),
            marks: self.at.clone(),
            ..Done::default()
        })
    }
}
