//! Pickle.

use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};

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
                "in a pot that has held copper or silver, iron plates copper onto everything"
            } else {
                "the acid eats it"
            };
            return Err(format!("{metal} does not go into pickle: {why}. Leave out the pickle."));
        }
        if piece.hot {
            return Err("it is still hot, and acid spatters. Cool it first.".to_owned());
        }
        piece.fluxed = false;
        Ok(Done {
            what: "piece".to_owned(),
            text: "Leave it in warm pickle until the flux is off. Rinse and neutralise. Pickle only removes \
                   flux and scale."
                .to_owned(),
            caution: Some(
                "Acid: add acid to water, keep the lid on, use brass or plastic tongs, gloves and glasses. \
                 Follow local rules for disposal.",
            ),
            takes: Takes { unattended_min: 10.0, ..Takes::minutes(2.0, 0.05) },
            ..Done::default()
        })
    }
}
