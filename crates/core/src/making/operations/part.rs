//! Part a folded pair.

use crate::making::run::From;
use crate::making::takes::Lost;
use crate::making::telling::the;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::cutting::CAUTION;
use crate::words::length::caliper;
use lorimant_text::text;

/// What was bent together is cut apart, last of all: the fold comes out.
#[derive(Debug, Clone, Copy)]
pub struct Part {
    /// Where.
    pub what: &'static str,
    /// The fold on the flush blank, mm; it falls off.
    pub span: Option<(f64, f64)>,
}

impl Perform for Part {
    fn operation(&self) -> Operation {
        Operation::Part
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let Some((from, to)) = self.span else {
            return Err(text!("operations-part-there-no-fold-cut").to_owned());
        };
        piece.cut_out(from - piece.gone_mm, to - piece.gone_mm);
        Ok(Done {
            what: self.what.to_owned(),
            numbers: Numbers { from: Some(From::Fold), length_mm: Some(to - from), ..Numbers::default() },
            text: text!(
                "operations-part-cut-them-apart-last-after",
                what = the(self.what),
                to = caliper(to - from, bench.unit())
            ),
            caution: Some(CAUTION.as_str()),
            takes: Takes::minutes(0.2, 0.3),
            lost: vec![(Lost::Clean, to - from)],
            ..Done::default()
        })
    }
}
