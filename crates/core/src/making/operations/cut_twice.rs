//! Cut a coil into rings with two flush cuts each.

use super::saw::cut_to;
use super::snip::too_thick;
use crate::making::takes::Lost;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::words::length::caliper;
use lorimant_text::text;

/// Snip, turn the cutter round, trim the pinched face, and again.
#[derive(Debug, Clone)]
pub struct CutTwice {
    /// Sliver lost with each ring, mm.
    pub sliver_mm: f64,
    /// How many rings there will be.
    pub rings_n: u32,
    /// Wire in one, mm.
    pub ring_mm: f64,
    /// What can hurt.
    pub caution: &'static str,
}

impl Perform for CutTwice {
    fn operation(&self) -> Operation {
        Operation::CutTwice
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let Some(coil) = piece.coil.take() else {
            return Err(text!("cut-twice-there-no-coil-cut-wind").to_owned());
        };
        piece.length_mm = self.ring_mm;
        piece.pieces_n = self.rings_n;
        piece.inside_mm = Some(coil.inside_mm);
        (piece.near, piece.far) = (End::Flush, End::Flush);
        cut_to(piece);
        let n = f64::from(self.rings_n);
        Ok(Done {
            what: text!("cut-twice-coil").to_owned(),
            numbers: Numbers {
                length_mm: Some(self.sliver_mm),
                times_n: Some(self.rings_n),
                ..Numbers::default()
            },
            text: text!(
                "cut-twice-snip-off-one-turn-flat",
                sliver_mm = caliper(self.sliver_mm, bench.unit()),
                rings_n = self.rings_n
            ),
            hints: vec![text!("cut-twice-grip-deep-in-jaw-both").to_owned()],
            misfit: too_thick(bench),
            caution: Some(self.caution),
            takes: Takes::minutes(1.0, 0.12),
            lost: vec![(Lost::Clean, self.sliver_mm * n)],
            ..Done::default()
        })
    }
}
