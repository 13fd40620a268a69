//! Stiffen with a mallet.

use crate::making::telling::{hinted, the};
use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::strength::MALLETED;
use lorimant_text::text;

/// A part is stiffened on the block with a mallet, which keeps the wire round.
#[derive(Debug, Clone, Copy)]
pub struct Stiffen {
    /// What is stiffened.
    pub what: &'static str,
    /// Where it lies on the blank, mm; all of the piece if there is none.
    pub span: Option<(f64, f64)>,
    /// The pattern's own way, where it has one.
    pub hint: &'static str,
}

impl Perform for Stiffen {
    fn operation(&self) -> Operation {
        Operation::Hammer
    }

    fn perform(&self, piece: &mut Workpiece, _: &Bench) -> Result<Done, String> {
        match self.span {
            Some((from, to)) => {
                let gone = piece.gone_mm;
                for stretch in piece.between(from - gone, to - gone) {
                    stretch.strain += MALLETED;
                    stretch.outer_strain += MALLETED;
                }
            }
            None => piece.harden(MALLETED),
        }
        let text = if self.hint.is_empty() {
            text!("stiffen-tap-with-mallet-on-block", what = the(self.what))
        } else {
            text!("stiffen-stiffen", what = the(self.what))
        };
        Ok(Done {
            what: self.what.to_owned(),
            text,
            hints: hinted(self.hint),
            caution: Some(text!("stiffen-wear-safety-glasses-keep-fingers")),
            takes: Takes::minutes(0.3, 0.3),
            ..Done::default()
        })
    }
}
