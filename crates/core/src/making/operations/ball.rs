//! Draw a ball.

use crate::making::run::From;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::wire::metal::{Balls, Metal};
use crate::words::capital;
use crate::words::length::{caliper, on_ruler};
use lorimant_text::text;

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
        Some(_) => text!("ball-its-outer-layer-would-melt"),
        None => text!("ball-turns-brittle-in-air"),
    };
    text!("ball-must-not-be-melted", metal = capital(metal.shown()), why)
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
            return Err(text!(
                "ball-choose-another-metal-or-another",
                metal = never_melted(bench.wire.metal)
            ));
        }
        piece.near = End::Balled;
        let soft_to = (self.length_mm + SOFTENED_MM).min(piece.length_mm);
        for stretch in piece.between(0.0, soft_to) {
            (stretch.strain, stretch.outer_strain) = (0.0, 0.0);
        }
        let unit = bench.unit();
        Ok(Done {
            what: text!("ball-end").to_owned(),
            segments: vec![self.segment],
            numbers: Numbers {
                from: Some(From::NearEnd),
                at_mm: Some(0.0),
                length_mm: Some(self.length_mm),
                ball_mm: Some(self.ball_mm),
                tool: Some("torch".to_owned()),
                ..Numbers::default()
            },
            text: text!(
                "ball-hold-wire-upright-its-left",
                ball_mm = caliper(self.ball_mm, unit),
                length_mm = on_ruler(self.length_mm, unit),
                cooling = figures.cooling
            ),
            hints: vec![text!("ball-flame-leaves-stem-soft-near").to_owned()],
            caution: Some(text!("ball-torch-fireproof-surface-fresh-air")),
            takes: Takes::minutes(4.0, 0.7),
            ..Done::default()
        })
    }
}
