//! Press shut.

use crate::making::telling::the;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};

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
    if piece.coil.is_some() { Err("it is still a coil. Cut it into rings first.".to_owned()) } else { Ok(()) }
}

/// Shuts it: a cut ring becomes smaller by the wire that cutting took out of its turn, mm.
pub(super) fn shut(piece: &mut Workpiece, ring_mm: Option<f64>) -> Result<(), String> {
    if let (Some(taken), Some(outline)) = (ring_mm, piece.outline) {
        let around = outline.perimeter() - taken;
        if around <= 0.0 {
            return Err("cutting leaves no opening in it.".to_owned());
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
            "Close each ring sideways. Swing the ends past each other, push them together a little, and let \
             them spring back face to face. Never pull them apart."
                .to_owned()
        } else {
            format!("Press {} closed: go past closed, then let it spring back.", the(self.what))
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
