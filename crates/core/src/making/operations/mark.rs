//! Mark a blank.

use crate::making::run::From;
use crate::making::{Bench, Does, Done, Numbers, Operation, Takes, Workpiece};
use crate::words::length::{LengthUnit, on_ruler};
use crate::words::listed;

/// Where each bend that is still to be made begins, marked while the wire is straight.
#[derive(Debug, Clone, PartialEq)]
pub struct Mark {
    /// From the right end or not, and how far, mm, in the order they lie.
    pub at: Vec<(bool, f64)>,
    /// Whether the wire is folded in the middle: that is what is marked then.
    pub folded: bool,
}

/// Minutes for one mark: the ruler laid on and a line of the marker.
const MARK_MIN: f64 = 0.08;

impl Mark {
    /// What is marked: `Mark where the bends start: 6.5 mm and 12 mm from the left end.` Nothing where there is no mark.
    #[must_use]
    pub fn told(&self, unit: LengthUnit) -> String {
        let from = |far: bool, end: &str| {
            let at: Vec<String> =
                self.at.iter().filter(|mark| mark.0 == far).map(|mark| on_ruler(mark.1, unit)).collect();
            (!at.is_empty()).then(|| format!("{} from the {end} end", listed(&at)))
        };
        let ends: Vec<String> = [from(false, "left"), from(true, "right")].into_iter().flatten().collect();
        let what = match self.at.len() {
            0 => return String::new(),
            _ if self.folded => "the middle of the fold",
            1 => "where the bend starts",
            _ => "where the bends start",
        };
        format!("Mark {what}: {}.", ends.join("; "))
    }
}

impl Does for Mark {
    fn operation(&self) -> Operation {
        Operation::Mark
    }

    fn do_to(&self, _: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let text = self.told(bench.unit());
        let template = match bench.pieces_n {
            1 => "",
            2 => " Lay the second beside the first.",
            _ => " Lay the others beside the first and mark across.",
        };
        let first = self.at.first().copied();
        #[expect(clippy::cast_precision_loss, reason = "a handful of marks")]
        let each_min = MARK_MIN * self.at.len() as f64;
        Ok(Done {
            what: "blank".to_owned(),
            numbers: Numbers {
                from: first.map(|(far, _)| if far { From::FarEnd } else { From::NearEnd }),
                at_mm: first.map(|(_, mm)| mm),
                times_n: u32::try_from(self.at.len()).ok(),
                ..Numbers::default()
            },
            text: format!("{text}{template}"),
            hints: vec![
                "A fine permanent marker; what is left of it comes off with a drop of spirit.".to_owned(),
            ],
            takes: Takes::minutes(0.3, each_min),
            ..Done::default()
        })
    }
}
