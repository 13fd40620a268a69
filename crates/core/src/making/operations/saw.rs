//! Saw a coil into rings.

use crate::making::takes::Lost;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::method::SawFrom;
use crate::words::length::caliper;
use lorimant_text::text;

/// The coil is sawn along, a kerf lost in each ring.
#[derive(Debug, Clone)]
pub struct Saw {
    /// The blade, by its number.
    pub blade: &'static str,
    /// Width of its cut, mm.
    pub kerf_mm: f64,
    /// How many rings there will be.
    pub rings_n: u32,
    /// Wire in one of them before it is cut, mm.
    pub turn_mm: f64,
    /// Where from.
    pub from: SawFrom,
    /// Whether at a slant.
    pub slanted: bool,
    /// What can hurt.
    pub caution: &'static str,
}

/// Room a blade wants inside a coil to be threaded through and moved, mm.
const THREADED_MM: f64 = 3.0;

impl Perform for Saw {
    fn operation(&self) -> Operation {
        Operation::Saw
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let Some(coil) = piece.coil.take() else {
            return Err(text!("saw-there-no-coil-saw-wind").to_owned());
        };
        if self.from == SawFrom::Inside && coil.inside_mm < THREADED_MM {
            return Err(text!(
                "saw-saw-blade-needs-bore-this",
                threaded_mm = caliper(THREADED_MM, bench.unit()),
                inside_mm = caliper(coil.inside_mm, bench.unit())
            ));
        }
        let how = match self.from {
            SawFrom::Pin => {
                text!("saw-put-coil-in-notch-bench")
            }
            SawFrom::Inside => {
                text!("saw-thread-blade-through-coil-teeth")
            }
            SawFrom::Dowel => text!("saw-saw-along-coil-on-its"),
        };
        let slant = if self.slanted { text!("saw-at-slight-slant-so-that") } else { "" };
        piece.length_mm = self.turn_mm - self.kerf_mm;
        piece.pieces_n = self.rings_n;
        piece.inside_mm = Some(coil.inside_mm);
        (piece.near, piece.far) = (End::Sawn, End::Sawn);
        cut_to(piece);
        Ok(Done {
            what: text!("saw-coil").to_owned(),
            numbers: Numbers {
                tool: Some(text!("saw-blade", blade = self.blade)),
                kerf_mm: Some(self.kerf_mm),
                times_n: Some(self.rings_n),
                ..Numbers::default()
            },
            text: text!(
                "saw-with-waxed-blade",
                how,
                blade = self.blade,
                slant,
                rings_n = text!("count-ring", n = self.rings_n)
            ),
            caution: Some(self.caution),
            takes: Takes::minutes(3.0, 0.1),
            lost: vec![(Lost::Dust, self.kerf_mm * f64::from(self.rings_n))],
            ..Done::default()
        })
    }
}

/// The stretches of one ring are those of the coil, alike all along.
pub(super) fn cut_to(piece: &mut Workpiece) {
    piece.stretches.truncate(1);
    if let Some(stretch) = piece.stretches.first_mut() {
        (stretch.from_mm, stretch.to_mm) = (0.0, piece.length_mm);
    }
}
