//! Snip a coil into rings.

use super::saw::cut_to;
use crate::making::takes::Lost;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::words::length::thickness;
use lorimant_text::text;

/// One snip a ring.
#[derive(Debug, Clone)]
pub struct Snip {
    /// Filed off each ring's two faces together, mm; 0 where they are left pinched.
    pub filed_mm: f64,
    /// How many rings there will be.
    pub rings_n: u32,
    /// Wire in one before it is filed, mm.
    pub turn_mm: f64,
    /// What can hurt.
    pub caution: &'static str,
}

impl Perform for Snip {
    fn operation(&self) -> Operation {
        Operation::Snip
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let Some(coil) = piece.coil.take() else {
            return Err(text!("snip-there-no-coil-snip-wind").to_owned());
        };
        piece.length_mm = self.turn_mm - self.filed_mm;
        piece.pieces_n = self.rings_n;
        piece.inside_mm = Some(coil.inside_mm);
        let filed = self.filed_mm > 0.0;
        let end = if filed { End::Rounded } else { End::Pinched };
        (piece.near, piece.far) = (end, end);
        cut_to(piece);
        let n = f64::from(self.rings_n);
        let file = if filed { text!("snip-file-both-faces-flat") } else { "" };
        Ok(Done {
            what: text!("snip-coil").to_owned(),
            numbers: Numbers {
                length_mm: Some(self.filed_mm).filter(|mm| *mm > 0.0),
                times_n: Some(self.rings_n),
                ..Numbers::default()
            },
            text: text!("snip-snip-along-coil-one-turn", rings_n = self.rings_n, file),
            hints: vec![text!("snip-pinched-ends-will-do-for").to_owned()],
            misfit: too_thick(bench),
            caution: Some(self.caution),
            takes: Takes::minutes(0.5, if filed { 0.2 } else { 0.04 }),
            lost: vec![(Lost::Dust, self.filed_mm * n)],
            ..Done::default()
        })
    }
}

/// What is wrong where the coil's wire is thicker than the cutter takes.
pub(super) fn too_thick(bench: &Bench) -> Option<String> {
    let most = thickness(bench.workshop.gear.too_thick(bench.wire)?, bench.unit());
    Some(text!("snip-thicker-than-your-cutter-can", most))
}
