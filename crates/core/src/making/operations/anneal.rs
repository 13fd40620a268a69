//! Anneal.

use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::tool::gear::Gear;
use crate::wire::Wire;
use crate::wire::metal::heat::Annealing;
use crate::wire::metal::{Balls, Joining};
use lorimant_text::text;

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
        let annealing = wire
            .metal
            .figures()
            .annealing
            .ok_or_else(|| text!("anneal-cannot-be-annealed-with-torch", metal = wire.metal))?;
        wire.surface.bears_heat()?;
        gear.heats()?;
        Ok(annealing)
    }

    /// What to do where a bend asks too much of the metal: anneal only where [`Self::of`] allows it.
    #[must_use]
    pub fn advice(wire: &Wire, gear: &Gear) -> &'static str {
        match Self::of(wire, gear) {
            Ok(_) => text!("anneal-anneal-first-or-make-bend"),
            Err(_) => text!("anneal-make-bend-wider-or-use"),
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
        let mut hints = vec![text!("anneal-bends-made-after-this-spring").to_owned()];
        if figures.balls == Balls::Never || figures.joins == [Joining::SolderGently] {
            hints.push(text!("anneal-too-much-heat-ruins-its").to_owned());
        }
        if figures.hot_short {
            hints.push(text!("anneal-dont-move-or-strike-while").to_owned());
        }
        Ok(Done {
            what: text!("anneal-piece").to_owned(),
            text: text!(
                "anneal-heat-evenly-until-about-c",
                cue = annealing.cue,
                from,
                to,
                soak_s = annealing.soak_s,
                cooling = annealing.cooling
            ),
            hints,
            caution: Some(text!("anneal-torch-fireproof-surface-fresh-air")),
            // A coil's wire is annealed as one bundle, rings and findings piece by piece.
            takes: Takes {
                unattended_min: annealing.cooling.minutes(),
                ..Takes::minutes(4.0, if piece.inside_mm.is_some() { 0.8 } else { bench.shared(0.8) })
            },
            ..Done::default()
        })
    }
}
