//! Flux.

use crate::making::{Bench, Does, Done, Operation, Takes, Workpiece};
use crate::wire::metal::Joining;

/// Flux is brushed on what will be heated.
#[derive(Debug, Clone, Copy)]
pub struct Flux;

impl Does for Flux {
    fn operation(&self) -> Operation {
        Operation::Flux
    }

    fn do_to(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let metal = bench.wire.metal;
        if !metal.joins_by(&[Joining::Fuse, Joining::Solder, Joining::SolderGently]) {
            return Err(format!("{metal} is neither fused nor soldered at the bench. Leave the flux out."));
        }
        bench.wire.surface.bears_heat()?;
        if !piece.shut {
            return Err(
                "its faces do not meet yet. Shut it first: flux between open faces burns off.".to_owned()
            );
        }
        piece.fluxed = true;
        Ok(Done {
            what: "joint".to_owned(),
            text: "Brush flux on the joint, thin and all round, and let it dry.".to_owned(),
            hints: vec!["It keeps the air off while the metal is hot, and does nothing else.".to_owned()],
            caution: Some(
                "Flux can hold fluorides: not on skin, not in the eyes, air moving. Follow its maker's sheet.",
            ),
            takes: Takes::minutes(1.0, 0.15),
            ..Done::default()
        })
    }
}
