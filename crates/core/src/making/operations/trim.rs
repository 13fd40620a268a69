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
    /// Of what was cut long: the stretch at its end, and what should be left of it, mm.
    pub left: Option<(&'static str, f64)>,
}

impl Trim {
    fn text(&self, bench: &Bench) -> String {
        let off = caliper(self.off_mm, bench.unit());
        let sawn = bench.workshop.gear.sawn(bench.wire).is_some();
        let how = if sawn { "sawn square and filed" } else { "the flat of the cutter to the piece" };
        match self.left {
            Some((what, left_mm)) => {
                let left = caliper(left_mm, bench.unit());
                let match_it = if bench.pieces_n > 1 {
                    " Lay each further piece on the first and trim it to match."
                } else {
                    ""
                };
                format!("Trim the {what} to {left}, {how}: about {off} come off.{match_it}")
            }
            None => format!("Trim {off} off the {}, {how}, and press the end in.", self.what),
        }
    }
}

impl Does for Trim {
    fn operation(&self) -> Operation {
        Operation::Trim
    }

    fn takes_tail(&self) -> Option<bool> {
        (self.what == "tail" || self.left.is_some()).then_some(self.far)
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
                left_mm: self.left.map(|(_, mm)| mm),
                ..Numbers::default()
            },
            text: self.text(bench),
            caution: Some(CAUTION),
            takes: Takes::minutes(0.2, 0.2),
            lost: vec![(Lost::Clean, self.off_mm)],
            ..Done::default()
        })
    }
}
