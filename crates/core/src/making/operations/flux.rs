//! Flux.

use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::metal::Joining;

/// Flux is brushed on what will be heated.
#[derive(Debug, Clone, Copy)]
pub struct Flux;

impl Perform for Flux {
    fn operation(&self) -> Operation {
        Operation::Flux
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let metal = bench.wire.metal;
        if !metal.joins_by(&[Joining::Fuse, Joining::Solder, Joining::SolderGently]) {
            return Err(format!("{metal} is neither fused nor soldered at the bench. Leave out the flux."));
        }
        bench.wire.surface.bears_heat()?;
        if !piece.shut {
            return Err(
                "the ends don't meet yet. Close it first: flux burns off between open ends.".to_owned()
            );
        }
        piece.fluxed = true;
        Ok(Done {
            what: "joint".to_owned(),
            text: "Brush a thin coat of flux all round the joint. Let it dry.".to_owned(),
            hints: vec!["Flux keeps air off the hot metal. It does nothing else.".to_owned()],
            caution: Some(
                "Flux may contain fluorides: keep it off skin and out of eyes, and work in fresh air. \
                 Follow the maker's safety sheet.",
            ),
            takes: Takes::minutes(1.0, 0.15),
            ..Done::default()
        })
    }
}
