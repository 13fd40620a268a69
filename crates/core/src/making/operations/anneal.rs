//! Anneal.

use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::tool::gear::Gear;
use crate::wire::Wire;
use crate::wire::metal::heat::Annealing;
use crate::wire::metal::{Balls, Joining};

/// The piece is heated until it is soft again: the strain it has spent is given back.
#[derive(Debug, Clone, Copy)]
pub struct Anneal;

impl Anneal {
    /// How a wire is annealed at this bench.
    ///
    /// ```
    /// use lorimant_core::making::operations::Anneal;
    /// use lorimant_core::tool::gear::Gear;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let torch = Gear { torch: true, ..Gear::default() };
    /// assert!(Anneal::of(&Wire::round(Metal::Copper, 1.0, Temper::Hard), &torch).is_ok());
    /// let refused = Anneal::of(&Wire::round(Metal::Titanium, 1.0, Temper::Hard), &torch).unwrap_err();
    /// assert!(refused.contains("turns brittle"));
    /// ```
    ///
    /// # Errors
    /// Why it cannot be, in a sentence: air spoils the metal, its surface must not be heated, there is no torch.
    pub fn of(wire: &Wire, gear: &Gear) -> Result<Annealing, String> {
        let annealing = wire.metal.figures().annealing.ok_or_else(|| {
            format!(
                "{} cannot be annealed with a torch in air: it takes up gas and turns brittle. Buy it softer, or make \
                 the bend wider.",
                wire.metal
            )
        })?;
        wire.surface.bears_heat()?;
        gear.heats()?;
        Ok(annealing)
    }

    /// What to do where a bend asks too much of the metal: anneal only where [`Self::of`] allows it.
    #[must_use]
    pub fn advice(wire: &Wire, gear: &Gear) -> &'static str {
        match Self::of(wire, gear) {
            Ok(_) => "Anneal it first, or make the bend wider.",
            Err(_) => "Make the bend wider, or use softer wire.",
        }
    }
}

impl Perform for Anneal {
    fn operation(&self) -> Operation {
        Operation::Anneal
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let figures = bench.wire.metal.figures();
        let annealing = Self::of(bench.wire, &bench.workshop.gear)?;
        piece.soften();
        let (from, to) = figures.anneals_c;
        let mut hints = vec![
            "Bends made after this spring back less. The piece is weaker until it is hardened again."
                .to_owned(),
        ];
        if figures.balls == Balls::Never || figures.joins == [Joining::SolderGently] {
            hints.push("Too much heat ruins its outer layer: use as little as you can.".to_owned());
        }
        if figures.hot_short {
            hints.push("Don't move or strike it while it is hot: it breaks.".to_owned());
        }
        Ok(Done {
            what: "piece".to_owned(),
            text: format!(
                "Heat it evenly until {} (about {from} to {to} °C). Hold it there {} s. Then {}.",
                annealing.cue, annealing.soak_s, annealing.cooling
            ),
            hints,
            caution: Some(
                "Torch: fireproof surface, fresh air, hair and sleeves tied back, extinguisher near. Never \
                 heat plated, coated or galvanised wire. Follow the torch maker and local rules.",
            ),
            // A coil's wire is annealed as one bundle, rings and findings piece by piece.
            takes: Takes {
                unattended_min: annealing.cooling.minutes(),
                ..Takes::minutes(4.0, if piece.inside_mm.is_some() { 0.8 } else { bench.shared(0.8) })
            },
            ..Done::default()
        })
    }
}
