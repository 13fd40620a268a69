//! Make the spool's end flush.

use crate::making::run::From;
use crate::making::takes::Lost;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::cutting::CAUTION;
use lorimant_text::text;

/// The spool's end is made flush: the flat of the cutter towards the spool, a sliver falls off.
#[derive(Debug, Clone, Copy)]
pub struct MakeFlush {
    /// What falls off, mm.
    pub sliver_mm: f64,
    /// Whether it is pinched again with each piece, and so made flush before each.
    pub before_each: bool,
}

impl Perform for MakeFlush {
    fn operation(&self) -> Operation {
        Operation::MakeFlush
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        piece.take_off(self.sliver_mm, false);
        piece.gone_mm = 0.0;
        piece.near = End::Flush;
        let again = if self.before_each && bench.pieces_n > 1 {
            text!("make-flush-do-this-before-each-piece")
        } else {
            ""
        };
        Ok(Done {
            what: text!("make-flush-end").to_owned(),
            numbers: Numbers {
                from: Some(From::Spool),
                length_mm: Some(self.sliver_mm),
                ..Numbers::default()
            },
            text: match bench.workshop.gear.sawn(bench.wire) {
                Some(saw) => text!("make-flush-at-spools-end", saw, again),
                None => {
                    text!("make-flush-snip-spools-end-flush-flat", again)
                }
            },
            caution: Some(CAUTION.as_str()),
            takes: Takes::minutes(0.2, if self.before_each { 0.05 } else { 0.0 }),
            lost: vec![(Lost::Clean, self.sliver_mm)],
            ..Done::default()
        })
    }
}
