//! What can hurt, and what can go wrong, for the chosen way of winding and cutting.

use serde::Serialize;

use super::{RingPlan, RingRequest, Winding};
use crate::figure::Level;
use crate::making::operations::Anneal;
use crate::tool::cutting::{Blade, LEAST_TEETH, Method};
use crate::tool::mandrel::Shape;
use crate::tool::workshop::Workshop;
use crate::wire::metal::{Nickel, Temper};
use crate::wire::section::Section;
use crate::wire::strength::{CRACK_STRAIN, WATCH_STRAIN};
use crate::words::capital;
use crate::words::length::thickness;

/// A short caution where the step is. The maker of the tool, local rules and qualified people come
/// first.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Caution {
    /// How much attention it asks for.
    pub level: Level,
    /// The caution, in one or two sentences.
    pub text: String,
}

fn caution(level: Level, text: impl Into<String>) -> Caution {
    Caution { level, text: text.into() }
}

impl Winding {
    /// What can hurt while winding this way.
    pub fn caution(self) -> Caution {
        match self {
            Self::Hand => caution(
                Level::Note,
                "The end of the wire whips round as you wind: wear safety glasses and keep the tail under a \
                 thumb or clamp.",
            ),
            Self::PinVise => caution(
                Level::Note,
                "Turn the vise slowly and keep tension until the end is clipped: a loose coil whips. Wear \
                 safety glasses.",
            ),
            Self::SlowDrill => caution(
                Level::Watch,
                "A turning rod pulls in wire, hair, sleeves and gloves. Use the lowest speed, guide the \
                 wire with a wood or leather block, and let go of the switch first. Some wear leather \
                 against the wire, but gloves can catch near rotation. Follow the drill maker's \
                 instructions.",
            ),
        }
    }
}

impl Method {
    /// What can hurt while cutting this way.
    pub fn caution(self) -> Caution {
        match self {
            Self::Saw => caution(
                Level::Note,
                "Wear glasses, apron under the pin, blade waxed. A dowel in the coil keeps it from rocking. \
                 Don't squeeze it: a trapped blade snaps and flies. Don't breathe in the dust.",
            ),
            Self::DoubleFlush => caution(
                Level::Note,
                "Every snip throws a sliver: wear safety glasses and hold a hand or cloth round the cut. \
                 Don't cut thicker wire than the cutter's maker allows.",
            ),
            Self::Shears => caution(
                Level::Note,
                "Rings jump off the tips of the shears: wear safety glasses, keep fingers behind the \
                 blades, and file the burr.",
            ),
            Self::SingleSnip => caution(
                Level::Note,
                "Cut ends fly and pinched ends are sharp: wear safety glasses, and file what will touch skin.",
            ),
        }
    }
}

/// Effort that no hand has, as a multiple of bending 20 AWG soft copper: 4 mm soft copper. An estimate.
const BEYOND_HANDS: f64 = 120.0;

impl RingPlan {
    /// Cautions for this plan, most pressing first.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let brittle = Wire::round(Metal::NickelSilver, 2.0, Temper::Hard);
    /// let request = RingRequest::new(brittle, Mandrel::round(3.0), 10);
    /// let cautions = request.plan().unwrap().cautions(&request, &Workshop::default());
    /// // Hard nickel silver round a thin rod: cracks, and nickel against the skin.
    /// assert!(cautions.iter().any(|caution| caution.text.contains("crack")));
    /// ```
    pub fn cautions(&self, request: &RingRequest, workshop: &Workshop) -> Vec<Caution> {
        let (wire, unit) = (&request.wire, workshop.habits.unit);
        let advice = Anneal::advice(wire, &workshop.gear);
        let mut found = vec![];
        if self.strain_used > CRACK_STRAIN {
            found.push(caution(
                Level::Stop,
                format!(
                    "Will probably crack: this bend needs more stretch than the metal has left. \
                         {advice} (Estimate.)"
                ),
            ));
        } else if self.strain_used > WATCH_STRAIN {
            found.push(caution(
                Level::Watch,
                format!(
                    "Close to cracking: this bend uses most of the stretch the metal has left. {advice} \
                         (Estimate.)"
                ),
            ));
        }
        if self.hand_effort > BEYOND_HANDS {
            found.push(caution(
                Level::Stop,
                format!(
                    "Too hard to wind by hand: {:.0} times the effort of 20 AWG soft copper. Use thinner or \
                     softer wire, or a machine.",
                    self.hand_effort
                ),
            ));
        }
        if self.springback_ratio < 0.7 {
            found.push(caution(
                Level::Watch,
                "This coil springs open a lot, so small differences in the wire show. Wind a few turns as a \
                 trial and measure them.",
            ));
        }
        if request.cutting.method == Method::Saw {
            let blade = request.cutting.blade_for(wire.size_mm);
            let teeth = blade.teeth_in(wire.size_mm);
            if teeth < LEAST_TEETH && blade == Blade::B8o {
                found.push(caution(
                    Level::Watch,
                    format!(
                        "Even the finest blade has only {teeth:.1} teeth in wire of {}: saw lightly, or use \
                         a flush cutter.",
                        thickness(wire.size_mm, unit)
                    ),
                ));
            }
        }
        if wire.section == Section::Square {
            found.push(caution(
                Level::Note,
                "Square wire must not twist as you wind it: guide it flat and check each turn's face.",
            ));
        }
        if !matches!(request.mandrel.shape, Shape::Round | Shape::Oval) {
            found.push(caution(
                Level::Note,
                "A coil with corners turns a little as it springs, so its corners no longer line up. Cut along the \
                 middle of a flat and press each ring true.",
            ));
        }
        if self.hand_effort > 12.0 {
            found.push(caution(
                Level::Watch,
                "Heavy on the hands: wind in short sessions with straight wrists. If pain stays, see a doctor.",
            ));
        }
        if wire.metal.figures().nickel == Nickel::Contained {
            found.push(caution(
                Level::Watch,
                format!(
                    "{} contains nickel: not against skin, not in an ear. Nickel rules differ by country.",
                    capital(wire.metal.shown())
                ),
            ));
        }
        if wire.temper >= Temper::ExtraHard {
            found.push(caution(
                Level::Watch,
                "Hard wire under tension whips when it slips: clamp both ends and shield your face.",
            ));
        }
        found.push(request.winding.caution());
        found.push(request.cutting.method.caution());
        found.sort_by_key(|caution| std::cmp::Reverse(caution.level));
        found
    }
}
