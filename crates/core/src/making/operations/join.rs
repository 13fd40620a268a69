//! Fuse, or solder.

use crate::making::workpiece::ClosedBy;
use crate::making::{Bench, Does, Done, Operation, Takes, Workpiece};
use crate::wire::metal::{Joining, Metal};

const CAUTION: &str = "Torch: fireproof surface, air moving, hair and sleeves back, an extinguisher near; flux fumes. Never \
                       heat plated, coated or galvanised wire. Follow the torch maker and local rules.";

/// Both faces must meet before they are joined.
fn meets(piece: &Workpiece) -> Result<(), String> {
    if piece.joined.is_some() {
        return Err("it is joined already.".to_owned());
    }
    if piece.shut { Ok(()) } else { Err("its faces do not meet yet. Shut it first.".to_owned()) }
}

/// What is to know of a piece that is joined in a flame.
fn after_heat(piece: &Workpiece, metal: Metal) -> Vec<String> {
    let bare = (!piece.fluxed)
        .then_some("No flux is on it: brush some on first, or air keeps the joint from flowing.");
    let soft = "The heat leaves the whole of it soft; the barrel makes it hard again.";
    let brittle = "It is brittle while it is hot: do not move it before it is cold.";
    let brittle = metal.figures().hot_short.then_some(brittle);
    bare.into_iter().chain([soft]).chain(brittle).map(str::to_owned).collect()
}

fn ways(metal: Metal) -> String {
    match metal.joining().as_str() {
        "not at the bench" => {
            "It is not joined at the bench: leave it shut, or take another metal.".to_owned()
        }
        ways => format!("It is joined so: {ways}."),
    }
}

/// The joint is melted together, without solder.
#[derive(Debug, Clone, Copy)]
pub struct Fuse;

impl Does for Fuse {
    fn operation(&self) -> Operation {
        Operation::Fuse
    }

    fn do_to(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
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
            text: "Lay it on charcoal, which takes up the oxygen. Heat all of it evenly, then the joint; take the flame away \
                   at the moment it shines like water."
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

impl Does for Solder {
    fn operation(&self) -> Operation {
        Operation::Solder
    }

    fn do_to(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
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
            hints.push("As little heat as will do: its skin runs into the core.".to_owned());
        }
        Ok(Done {
            what: "joint".to_owned(),
            text: "Lay it on charcoal, set a chip of solder under the joint, heat all of it evenly and draw the solder through with \
                   the flame."
                .to_owned(),
            hints,
            caution: Some(
                "Torch: fireproof surface, air moving, hair and sleeves back, an extinguisher near; flux fumes, no solder \
                 with cadmium. Never heat plated, coated or galvanised wire. Follow the makers and local rules.",
            ),
            takes: Takes::minutes(4.0, 0.85),
            ..Done::default()
        })
    }
}
