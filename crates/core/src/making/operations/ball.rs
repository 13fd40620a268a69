//! Draw a ball.

use crate::making::run::From;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::wire::metal::{Balls, Metal};
use crate::words::capital;
use crate::words::length::{caliper, on_ruler};

/// The near end is drawn up to a ball.
#[derive(Debug, Clone, Copy)]
pub struct Ball {
    /// Its diameter, mm.
    pub ball_mm: f64,
    /// Wire it swallows, mm.
    pub length_mm: f64,
    /// Its segment.
    pub segment: usize,
}

/// Why a metal must not be melted at the bench, in a sentence.
pub(crate) fn never_melted(metal: Metal) -> String {
    let why = match metal.figures().skin_share {
        Some(_) => "its outer layer would melt into the core",
        None => "it turns brittle in air",
    };
    format!("{} must not be melted: {why}.", capital(metal.shown()))
}

/// How far from a ball the wire is softened by it, mm.
const SOFTENED_MM: f64 = 15.0;

impl Perform for Ball {
    fn operation(&self) -> Operation {
        Operation::Ball
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        bench.wire.surface.bears_heat()?;
        bench.workshop.gear.heats()?;
        let figures = bench.wire.metal.figures();
        if figures.balls == Balls::Never {
            return Err(format!("{} Choose another metal or another head.", never_melted(bench.wire.metal)));
        }
        piece.near = End::Balled;
        let soft_to = (self.length_mm + SOFTENED_MM).min(piece.length_mm);
        for stretch in piece.between(0.0, soft_to) {
            (stretch.strain, stretch.outer_strain) = (0.0, 0.0);
        }
        let unit = bench.unit();
        Ok(Done {
            what: "end".to_owned(),
            segments: vec![self.segment],
            numbers: Numbers {
                from: Some(From::NearEnd),
                at_mm: Some(0.0),
                length_mm: Some(self.length_mm),
                ball_mm: Some(self.ball_mm),
                tool: Some("torch".to_owned()),
                ..Numbers::default()
            },
            text: format!(
                "Hold the wire upright, its left end in the flame, until it draws up to a ball of {}. That uses {} of \
                 wire. Then {}.",
                caliper(self.ball_mm, unit),
                on_ruler(self.length_mm, unit),
                figures.cooling
            ),
            hints: vec![
                "The flame leaves the stem soft near the ball. Pull it through smooth jaws afterwards."
                    .to_owned(),
            ],
            caution: Some(
                "Torch: fireproof surface, fresh air, hair and sleeves tied back, extinguisher near. Never \
                 heat plated or filled wire. Follow the torch maker and local rules.",
            ),
            takes: Takes::minutes(4.0, 0.7),
            ..Done::default()
        })
    }
}
