//! Flux.

use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::metal::Joining;
use lorimant_text::text;

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
            return Err(text!("flux-neither-fused-nor-soldered-at", metal));
        }
        bench.wire.surface.bears_heat()?;
        if !piece.shut {
            return Err(text!("flux-ends-dont-meet-yet-close").to_owned());
        }
        piece.fluxed = true;
        Ok(Done {
            what: text!("flux-joint").to_owned(),
            text: text!("flux-brush-thin-coat-flux-all").to_owned(),
            hints: vec![text!("flux-flux-keeps-air-off-hot").to_owned()],
            caution: Some(text!("flux-flux-may-contain-fluorides-keep")),
            takes: Takes::minutes(1.0, 0.15),
            ..Done::default()
        })
    }
}
