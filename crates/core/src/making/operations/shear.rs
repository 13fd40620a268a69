//! Cut a coil into rings with sheet shears.

use super::saw::cut_to;
use crate::making::takes::Lost;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use lorimant_text::text;

/// The tips of sheet shears: flusher than a side cutter.
#[derive(Debug, Clone)]
pub struct Shear {
    /// Burr filed off each ring's two faces together, mm.
    pub filed_mm: f64,
    /// How many rings there will be.
    pub rings_n: u32,
    /// Wire in one before it is filed, mm.
    pub turn_mm: f64,
    /// What can hurt.
    pub caution: &'static str,
}

/// Thicker wire is sheared one turn at a bite, mm.
const THICK_MM: f64 = 1.0;

impl Perform for Shear {
    fn operation(&self) -> Operation {
        Operation::Shear
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let Some(coil) = piece.coil.take() else {
            return Err(text!("shear-there-no-coil-cut-wind").to_owned());
        };
        piece.length_mm = self.turn_mm - self.filed_mm;
        piece.pieces_n = self.rings_n;
        piece.inside_mm = Some(coil.inside_mm);
        (piece.near, piece.far) = (End::Sheared, End::Sheared);
        cut_to(piece);
        let (bite, bites_n) = match self.rings_n {
            n if bench.wire.size_mm > THICK_MM => (text!("shear-one-turn"), n),
            n => (text!("shear-two-turns"), n.div_ceil(2)),
        };
        Ok(Done {
            what: text!("shear-coil").to_owned(),
            numbers: Numbers { length_mm: Some(self.filed_mm), times_n: Some(bites_n), ..Numbers::default() },
            text: text!("shear-cut-along-coil-with-tips", bite, bites_n),
            hints: vec![text!("shear-taking-more-turns-at-time").to_owned()],
            caution: Some(self.caution),
            takes: Takes::minutes(0.5, 0.12),
            lost: vec![(Lost::Dust, self.filed_mm * f64::from(self.rings_n))],
            ..Done::default()
        })
    }
}
