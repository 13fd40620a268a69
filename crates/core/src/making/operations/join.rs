//! Fuse, or solder.

use crate::making::workpiece::ClosedBy;
use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::metal::{Joining, Metal};
use lorimant_text::{Text, text};

const CAUTION: Text = Text::named("join-torch-fireproof-surface-fresh-air");

/// Both faces must meet before they are joined.
fn meets(piece: &Workpiece) -> Result<(), String> {
    if piece.joined.is_some() {
        return Err(text!("join-joined-already").to_owned());
    }
    if piece.shut { Ok(()) } else { Err(text!("join-ends-dont-meet-yet-close").to_owned()) }
}

/// What is to know of a piece that is joined in a flame.
fn after_heat(piece: &Workpiece, metal: Metal) -> Vec<String> {
    let bare = (!piece.fluxed).then_some(text!("join-no-flux-on-yet-brush"));
    let soft = text!("join-heat-leaves-soft-all-over");
    let brittle = text!("join-brittle-while-hot-dont-move");
    let brittle = metal.figures().hot_short.then_some(brittle);
    bare.into_iter().chain([soft]).chain(brittle).map(str::to_owned).collect()
}

fn ways(metal: Metal) -> String {
    match metal.joining().as_str() {
        "not at the bench" => text!("join-leave-this-metal-closed-but").to_owned(),
        ways => text!("join-ways-join", ways),
    }
}

/// The joint is melted together, without solder.
#[derive(Debug, Clone, Copy)]
pub struct Fuse;

impl Perform for Fuse {
    fn operation(&self) -> Operation {
        Operation::Fuse
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let metal = bench.wire.metal;
        if !metal.joins_by(&[Joining::Fuse]) {
            return Err(text!("join-does-not-fuse-itself", metal, metal2 = ways(metal)));
        }
        bench.wire.surface.bears_heat()?;
        bench.workshop.gear.heats()?;
        meets(piece)?;
        piece.soften();
        piece.hot = true;
        piece.joined = Some(ClosedBy::Fused);
        let hints = after_heat(piece, metal);
        Ok(Done {
            what: text!("join-joint").to_owned(),
            text: text!("join-put-on-charcoal-heat-all").to_owned(),
            hints,
            caution: Some(CAUTION.as_str()),
            takes: Takes::minutes(4.0, 0.55),
            ..Done::default()
        })
    }
}

/// The joint is soldered.
#[derive(Debug, Clone, Copy)]
pub struct Solder;

impl Perform for Solder {
    fn operation(&self) -> Operation {
        Operation::Solder
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let metal = bench.wire.metal;
        if !metal.joins_by(&[Joining::Solder, Joining::SolderGently]) {
            return Err(text!("join-not-soldered-at-bench", metal, metal2 = ways(metal)));
        }
        bench.wire.surface.bears_heat()?;
        bench.workshop.gear.heats()?;
        meets(piece)?;
        piece.soften();
        piece.hot = true;
        piece.joined = Some(ClosedBy::Soldered);
        let gently = metal.joins_by(&[Joining::SolderGently]);
        let mut hints = after_heat(piece, metal);
        if gently {
            hints.push(text!("join-use-as-little-heat-as").to_owned());
        }
        Ok(Done {
            what: text!("join-joint").to_owned(),
            text: text!("join-put-on-charcoal-with-chip").to_owned(),
            hints,
            caution: Some(text!("join-torch-fireproof-surface-fresh-air-hair")),
            takes: Takes::minutes(4.0, 0.85),
            ..Done::default()
        })
    }
}
