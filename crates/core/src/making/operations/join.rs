//! Fuse, or solder.

use crate::making::workpiece::ClosedBy;
use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::metal::{Joining, Metal};

const CAUTION: &str = "Torch: fireproof surface, fresh air, hair and sleeves tied back, extinguisher near. \
                       Flux gives off fumes. Never heat plated, coated or galvanised wire. Follow the torch \
                       maker and local rules.";

/// Both faces must meet before they are joined.
fn meets(piece: &Workpiece) -> Result<(), String> {
    if piece.joined.is_some() {
        return Err("it is joined already.".to_owned());
    }
    if piece.shut { Ok(()) } else { Err("the ends don't meet yet. Close it first.".to_owned()) }
}

/// What is to know of a piece that is joined in a flame.
fn after_heat(piece: &Workpiece, metal: Metal) -> Vec<String> {
    let bare = (!piece.fluxed)
        .then_some("No flux on it yet. Brush some on first, or air keeps the joint from flowing.");
    let soft = "The heat leaves it soft all over. The tumbler hardens it again.";
    let brittle = "It is brittle while hot: don't move it until it is cold.";
    let brittle = metal.figures().hot_short.then_some(brittle);
    bare.into_iter().chain([soft]).chain(brittle).map(str::to_owned).collect()
}

fn ways(metal: Metal) -> String {
    match metal.joining().as_str() {
        "not at the bench" => "Leave this metal closed but not joined, or choose another metal.".to_owned(),
        ways => format!("Ways to join it: {ways}."),
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
            return Err(format!("{metal} does not fuse to itself. {}", ways(metal)));
        }
        bench.wire.surface.bears_heat()?;
        bench.workshop.gear.heats()?;
        meets(piece)?;
        piece.soften();
        piece.hot = true;
        piece.joined = Some(ClosedBy::Fused);
        let hints = after_heat(piece, metal);
        Ok(Done {
            what: "joint".to_owned(),
            text: "Put it on charcoal. Heat all of it evenly, then the joint. Take the flame away the \
                   moment it shines like water."
                .to_owned(),
            hints,
            caution: Some(CAUTION),
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
            return Err(format!("{metal} is not soldered at the bench. {}", ways(metal)));
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
            hints.push(
                "Use as little heat as you can: too much melts its outer layer into the core.".to_owned(),
            );
        }
        Ok(Done {
            what: "joint".to_owned(),
            text: "Put it on charcoal with a chip of solder under the joint. Heat all of it evenly. Draw \
                   the solder through with the flame."
                .to_owned(),
            hints,
            caution: Some(
                "Torch: fireproof surface, fresh air, hair and sleeves tied back, extinguisher near. Flux \
                 gives off fumes; use cadmium-free solder. Never heat plated, coated or galvanised wire. \
                 Follow the makers and local rules.",
            ),
            takes: Takes::minutes(4.0, 0.85),
            ..Done::default()
        })
    }
}
