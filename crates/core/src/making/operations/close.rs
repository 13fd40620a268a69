//! Press shut.

use crate::making::telling::the;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use lorimant_text::text;

/// Openings are shut sideways: past closed, and back.
#[derive(Debug, Clone, Copy)]
pub struct Close {
    /// What is shut.
    pub what: &'static str,
    /// Of a cut ring: wire that cutting took out of its turn, mm, so that closing it makes it smaller.
    pub ring_mm: Option<f64>,
}

/// That it is no coil any more.
pub(super) fn is_cut(piece: &Workpiece) -> Result<(), String> {
    if piece.coil.is_some() { Err(text!("close-still-coil-cut-into-rings").to_owned()) } else { Ok(()) }
}

/// Shuts it: a cut ring becomes smaller by the wire that cutting took out of its turn, mm.
pub(super) fn shut(piece: &mut Workpiece, ring_mm: Option<f64>) -> Result<(), String> {
    if let (Some(taken), Some(outline)) = (ring_mm, piece.outline) {
        let around = outline.perimeter() - taken;
        if around <= 0.0 {
            return Err(text!("close-cutting-leaves-no-opening-in").to_owned());
        }
        let closed = outline.with_perimeter(around);
        (piece.outline, piece.inside_mm) = (Some(closed), Some(closed.across()));
    }
    piece.shut = true;
    Ok(())
}

impl Perform for Close {
    fn operation(&self) -> Operation {
        Operation::Close
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        is_cut(piece)?;
        shut(piece, self.ring_mm)?;
        let text = if self.ring_mm.is_some() {
            text!("close-close-each-ring-sideways-swing").to_owned()
        } else {
            text!("close-press-closed-go-past-closed", what = the(self.what))
        };
        Ok(Done {
            what: self.what.to_owned(),
            numbers: Numbers { inside_mm: piece.inside_mm, ..Numbers::default() },
            text,
            takes: Takes::minutes(0.3, 0.25).effort(bench.effort(0.0)),
            ..Done::default()
        })
    }
}
