//! Cut a coil into rings with two flush cuts each.

use super::saw::cut_to;
use super::snip::too_thick;
use crate::making::takes::Lost;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::words::length::caliper;

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
            return Err("there is no coil to cut. Wind it first.".to_owned());
        };
        piece.length_mm = self.ring_mm;
        piece.pieces_n = self.rings_n;
        piece.inside_mm = Some(coil.inside_mm);
        (piece.near, piece.far) = (End::Flush, End::Flush);
        cut_to(piece);
        let n = f64::from(self.rings_n);
        Ok(Done {
            what: "coil".to_owned(),
            numbers: Numbers {
                length_mm: Some(self.sliver_mm),
                times_n: Some(self.rings_n),
                ..Numbers::default()
            },
            text: format!(
                "Snip off one turn, flat side of the cutter to the ring. Turn the cutter round and trim {} \
                 off the coil to make it flush. Repeat {} times.",
                caliper(self.sliver_mm, bench.unit()),
                self.rings_n
            ),
            hints: vec!["Grip deep in the jaw. Both faces are flat, but don't quite match.".to_owned()],
            misfit: too_thick(bench),
            caution: Some(self.caution),
            takes: Takes::minutes(1.0, 0.12),
            lost: vec![(Lost::Clean, self.sliver_mm * n)],
            ..Done::default()
        })
    }
}
