//! Trim.

use crate::making::run::From;
use crate::making::takes::Lost;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::cutting::CAUTION;
use crate::words::length::{on_ruler, ruler_mark_mm};
use lorimant_text::text;

/// An end is trimmed flush: a tail that is no longer held, a pinched end.
#[derive(Debug, Clone, Copy)]
pub struct Trim {
    /// What it is: `tail`, `right end`.
    pub what: &'static str,
    /// Whether it is the far end.
    pub far: bool,
    /// What comes off, mm.
    pub off_mm: f64,
    /// What should be left of it.
    pub left: Left,
}

/// What is left once an end is trimmed.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Left {
    /// Nothing of a tail that was only held.
    NoTail,
    /// The length that was marked on the ruler, of what was cut just past the mark, mm.
    Marked(f64),
    /// So much of the stretch at its end, of what was cut long, mm.
    Stretch(&'static str, f64),
}

impl Trim {
    fn text(&self, bench: &Bench) -> String {
        let unit = bench.unit();
        let how = match bench.workshop.gear.sawn(bench.wire) {
            Some(_) => text!("trim-sawn-square-filed-flush"),
            None => text!("trim-flat-side-cutter-piece"),
        };
        match self.left {
            Left::Stretch(what, left_mm) => {
                let left = on_ruler(left_mm, unit);
                let match_it = if bench.pieces_n > 1 { text!("trim-lay-each-further-piece-on") } else { "" };
                text!("trim-trim", what, left, how, match_it)
            }
            Left::Marked(mm) => {
                text!("trim-trim-flush-at-mark-stays", what = self.what, how, mm = on_ruler(mm, unit))
            }
            Left::NoTail => {
                let off = on_ruler(self.off_mm, unit);
                text!("trim-trim-about-off", off, what = self.what, how)
            }
        }
    }

    /// What is read off the ruler: what should be left, or what comes off.
    fn on_ruler_mm(&self) -> f64 {
        match self.left {
            Left::NoTail => self.off_mm,
            Left::Marked(mm) | Left::Stretch(_, mm) => mm,
        }
    }
}

impl Perform for Trim {
    fn operation(&self) -> Operation {
        Operation::Trim
    }

    fn takes_tail(&self) -> Option<bool> {
        (!matches!(self.left, Left::Marked(_))).then_some(self.far)
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        if piece.length_mm <= self.off_mm {
            return Err(text!("trim-there-less-wire-than-would").to_owned());
        }
        piece.take_off(self.off_mm, self.far);
        *(if self.far { &mut piece.far } else { &mut piece.near }) = End::Flush;
        Ok(Done {
            what: self.what.to_owned(),
            numbers: Numbers {
                from: Some(if self.far { From::FarEnd } else { From::NearEnd }),
                length_mm: Some(self.off_mm),
                on_ruler_mm: Some(ruler_mark_mm(self.on_ruler_mm(), bench.unit())),
                left_mm: match self.left {
                    Left::Stretch(_, mm) => Some(mm),
                    Left::NoTail | Left::Marked(_) => None,
                },
                ..Numbers::default()
            },
            text: self.text(bench),
            caution: Some(CAUTION.as_str()),
            takes: Takes::minutes(0.2, 0.2),
            lost: vec![(Lost::Clean, self.off_mm)],
            ..Done::default()
        })
    }
}
