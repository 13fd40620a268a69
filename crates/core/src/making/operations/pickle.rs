//! Pickle.

use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use lorimant_text::text;

/// Flux and scale are taken off in warm pickle.
#[derive(Debug, Clone, Copy)]
pub struct Pickle;

impl Perform for Pickle {
    fn operation(&self) -> Operation {
        Operation::Pickle
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let metal = bench.wire.metal;
        if !metal.figures().pickles {
            let why = if metal.is_steel() {
                text!("pickle-in-pot-that-has-held")
            } else {
                text!("pickle-acid-eats")
            };
            return Err(text!("pickle-does-not-go-into-pickle", metal, why));
        }
        if piece.hot {
            return Err(text!("pickle-still-hot-acid-spatters-cool").to_owned());
        }
        piece.fluxed = false;
        Ok(Done {
            what: text!("pickle-piece").to_owned(),
            text: text!("pickle-leave-in-warm-pickle-until").to_owned(),
            caution: Some(text!("pickle-acid-add-acid-water-keep")),
            takes: Takes { unattended_min: 10.0, ..Takes::minutes(2.0, 0.05) },
            ..Done::default()
        })
    }
}
