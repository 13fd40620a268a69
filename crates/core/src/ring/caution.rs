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
use crate::wire::strength::strain_level;
use crate::words::capital;
use crate::words::length::thickness;
use lorimant_text::{fixed, text};

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
            Self::Hand => caution(Level::Note, text!("caution-end-wire-whips-round-as")),
            Self::PinVise => caution(Level::Note, text!("caution-turn-vise-slowly-keep-tension")),
            Self::SlowDrill => caution(Level::Watch, text!("caution-turning-rod-pulls-in-wire")),
        }
    }
}

impl Method {
    /// What can hurt while cutting this way.
    pub fn caution(self) -> Caution {
        match self {
            Self::Saw => caution(Level::Note, text!("caution-wear-glasses-apron-under-pin")),
            Self::DoubleFlush => caution(Level::Note, text!("caution-every-snip-throws-sliver-wear")),
            Self::Shears => caution(Level::Note, text!("caution-rings-jump-off-tips-shears")),
            Self::SingleSnip => caution(Level::Note, text!("caution-cut-ends-fly-pinched-ends")),
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
    /// let brittle = Wire::round(Metal::Titanium, 2.0, Temper::Hard);
    /// let request = RingRequest::new(brittle, Mandrel::round(3.0), 10);
    /// let cautions = request.plan().unwrap().cautions(&request, &Workshop::default());
    /// // Hard titanium round a thin rod.
    /// assert!(cautions.iter().any(|caution| caution.text.contains("crack")));
    /// ```
    pub fn cautions(&self, request: &RingRequest, workshop: &Workshop) -> Vec<Caution> {
        let (wire, unit) = (&request.wire, workshop.habits.unit);
        let advice = Anneal::advice(wire, &workshop.gear);
        let mut found = vec![];
        found.extend(strain_level(self.strain_used).map(|level| {
            let text = match level {
                Level::Stop => text!("caution-will-probably-crack-this-bend", advice),
                _ => text!("caution-close-cracking-this-bend-uses", advice),
            };
            caution(level, text)
        }));
        if self.hand_effort > BEYOND_HANDS {
            found.push(caution(
                Level::Stop,
                text!("caution-too-hard-wind-by-hand", hand_effort = fixed(self.hand_effort, 0)),
            ));
        }
        if self.springback_ratio < 0.7 {
            found.push(caution(Level::Watch, text!("caution-this-coil-springs-open-lot")));
        }
        if request.cutting.method == Method::Saw {
            let blade = request.cutting.blade_for(wire.size_mm);
            let teeth = blade.teeth_in(wire.size_mm);
            if teeth < LEAST_TEETH && blade == Blade::B8o {
                found.push(caution(
                    Level::Watch,
                    text!(
                        "caution-even-finest-blade-has-only",
                        teeth = fixed(teeth, 1),
                        size_mm = thickness(wire.size_mm, unit)
                    ),
                ));
            }
        }
        if wire.section == Section::Square {
            found.push(caution(Level::Note, text!("caution-square-wire-must-not-twist")));
        }
        if !matches!(request.mandrel.shape, Shape::Round | Shape::Oval) {
            found.push(caution(Level::Note, text!("caution-coil-with-corners-turns-little")));
        }
        if self.hand_effort > 12.0 {
            found.push(caution(Level::Watch, text!("caution-heavy-on-hands-wind-in")));
        }
        if wire.metal.figures().nickel == Nickel::Contained {
            found.push(caution(
                Level::Watch,
                text!("caution-contains-nickel-not-against-skin", metal = capital(wire.metal.shown())),
            ));
        }
        if wire.temper >= Temper::ExtraHard {
            found.push(caution(Level::Watch, text!("caution-hard-wire-under-tension-whips")));
        }
        found.push(request.winding.caution());
        found.push(request.cutting.method.caution());
        found.sort_by_key(|caution| std::cmp::Reverse(caution.level));
        found
    }
}
