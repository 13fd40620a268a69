//! Spread the coil.

use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::words::length::caliper;
use lorimant_text::text;

/// The coil is spread with a key, so that a cutter gets between its turns.
#[derive(Debug, Clone, Copy)]
pub struct Spread {
    /// Thickness of the key, mm.
    pub key_mm: f64,
}

impl Perform for Spread {
    fn operation(&self) -> Operation {
        Operation::Spread
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        if piece.coil.is_none() {
            return Err(text!("operations-spread-there-no-coil-spread").to_owned());
        }
        let key = caliper(self.key_mm, bench.unit());
        Ok(Done {
            what: text!("operations-spread-coil").to_owned(),
            numbers: Numbers {
                tool: Some("key".to_owned()),
                tool_mm: Some(self.key_mm),
                ..Numbers::default()
            },
            text: text!("operations-spread-spread-coil-turn-by-turn", key),
            takes: Takes::minutes(0.3, bench.shared(0.5)),
            ..Done::default()
        })
    }
}
