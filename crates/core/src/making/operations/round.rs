//! Round tips.

use crate::making::takes::Lost;
use crate::making::telling::{hinted, the};
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::method::Rounding;
use lorimant_text::text;

/// Tips and edges are rounded and smoothed.
#[derive(Debug, Clone, Copy)]
pub struct Round {
    /// What is rounded.
    pub what: &'static str,
    /// How it is rounded: filed, with a cup burr, or in the barrel.
    pub by: Rounding,
    /// Filed off the near end, mm.
    pub near_mm: f64,
    /// Filed off the far end, mm.
    pub far_mm: f64,
    /// The pattern's own way, where it has one.
    pub hint: &'static str,
}

impl Perform for Round {
    fn operation(&self) -> Operation {
        Operation::Round
    }

    fn perform(&self, piece: &mut Workpiece, _: &Bench) -> Result<Done, String> {
        for (mm, far) in [(self.near_mm, false), (self.far_mm, true)] {
            if mm > 0.0 {
                piece.take_off(mm, far);
                *(if far { &mut piece.far } else { &mut piece.near }) = End::Rounded;
            }
        }
        let the = the(self.what);
        let (text, caution) = match self.by {
            Rounding::File => {
                (text!("round-round-smooth-file-in-one", the), Some(text!("round-dont-breathe-in-dust-test")))
            }
            Rounding::CupBurr => (
                text!("round-round-in-cup-burr-that", the),
                Some(text!("round-wear-glasses-dont-breathe-in")),
            ),
            Rounding::Barrel => (text!("round-leave-as-cut-tumbler-rounds", the), None),
        };
        Ok(Done {
            what: self.what.to_owned(),
            numbers: Numbers {
                length_mm: Some(self.near_mm.max(self.far_mm)).filter(|mm| *mm > 0.0),
                ..Numbers::default()
            },
            text,
            hints: hinted(self.hint),
            caution,
            takes: Takes::minutes(0.3, if self.by == Rounding::Barrel { 0.0 } else { 0.6 }),
            lost: vec![(Lost::Dust, self.near_mm + self.far_mm)],
            ..Done::default()
        })
    }
}
