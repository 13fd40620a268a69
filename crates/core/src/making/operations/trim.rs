//! Trim.

use crate::making::run::From;
use crate::making::takes::Lost;
use crate::making::workpiece::End;
use crate::making::{Bench, Does, Done, Numbers, Operation, Takes, Workpiece};
use crate::tool::cutting::CAUTION;
use crate::words::length::caliper;

/// An end is trimmed flush: a tail that is no longer held, a pinched end.
#[derive(Debug, Clone, Copy)]
pub struct Trim {
    /// What it is: `tail`, `right end`.
    pub what: &'static str,
    /// Whether it is the far end.
    pub far: bool,
    /// What comes off, mm.
    pub off_mm: f64,
}

impl Does for Trim {
    fn operation(&self) -> Operation {
        Operation::Trim
    }

    fn do_to(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        if piece.length_mm <= self.off_mm {
            return Err("there is no more wire than would be trimmed off.".to_owned());
        }
        piece.take_off(self.off_mm, self.far);
        *(if self.far { &mut piece.far } else { &mut piece.near }) = End::Flush;
        Ok(Done {
            what: self.what.to_owned(),
            numbers: Numbers {
                from: Some(if self.far { From::FarEnd } else { From::NearEnd }),
                length_mm: Some(self.off_mm),
                ..Numbers::default()
            },
            text: format!(
                "Trim {} off the {}, the flat of the cutter to the piece, and press the end in.",
                caliper(self.off_mm, bench.unit()),
                self.what
            ),
            caution: Some(CAUTION),
            takes: Takes::minutes(0.2, 0.2),
            lost: vec![(Lost::Clean, self.off_mm)],
            ..Done::default()
        })
    }
}
