//! Anneal.

use crate::making::{Bench, Does, Done, Operation, Takes, Workpiece};
use crate::wire::metal::{Balls, Joining};

/// The piece is heated until it is soft again: the strain it has spent is given back.
#[derive(Debug, Clone, Copy)]
pub struct Anneal;

impl Does for Anneal {
    fn operation(&self) -> Operation {
        Operation::Anneal
    }

    fn do_to(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let (metal, figures) = (bench.wire.metal, bench.wire.metal.figures());
        if !figures.anneals_in_air {
            return Err(format!(
                "{metal} cannot be annealed with a torch in air: it takes up gas and turns brittle. Buy it softer, or \
                 bend wider."
            ));
        }
        bench.wire.surface.bears_heat()?;
        bench.workshop.gear.heats()?;
        piece.soften();
        let (from, to) = figures.anneals_c;
        let mut hints = vec![
            "What is bent after it springs back less, and it holds less until it is hardened.".to_owned(),
        ];
        if figures.balls == Balls::Never || figures.joins == [Joining::SolderGently] {
            hints.push(
                "Its skin runs into the core where it gets too hot: as little heat as will do.".to_owned(),
            );
        }
        Ok(Done {
            what: "piece".to_owned(),
            text: format!(
                "Heat it evenly to a dull glow, about {from} to {to} °C, until it is soft; then quench it."
            ),
            hints,
            caution: Some(
                "Torch: fireproof surface, air moving, hair and sleeves back, an extinguisher near. Never heat plated, \
                 coated or galvanised wire. Follow the torch maker and local rules.",
            ),
            // A coil's wire is annealed as one bundle, rings and findings piece by piece.
            takes: Takes::minutes(4.0, if piece.inside_mm.is_some() { 0.8 } else { bench.shared(0.8) }),
            ..Done::default()
        })
    }
}
