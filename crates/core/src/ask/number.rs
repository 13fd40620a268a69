//! The one number an answer is about, large beside its sentence, and the name its piece may be saved under.

use serde::Serialize;

use super::parsed::Parsed;
use super::token::Question;
use crate::chain::ChainRequest;
use crate::chain::plan::ChainPlan;
use crate::chain::sentence::length_told;
use crate::pattern::PatternRequest;
use crate::pattern::finished::FinishedFinding;
use crate::ring::RingRequest;
use crate::ring::plan::RingPlan;
use crate::wire::Wire;
use crate::words::capital;
use crate::words::length::{LengthUnit, caliper, on_ruler, pull, pulled_mm, shown, thickness};
use lorimant_text::text;

/// The number a maker asked for, as the tool in the hand reads it.
#[derive(Debug, Clone, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct KeyNumber {
    /// The number with its unit: `54.5 mm`, `52 turns`.
    pub value: String,
    /// What it is: `cut each`, `per coil`.
    pub label: String,
}

impl KeyNumber {
    fn new(value: String, label: impl Into<String>) -> Option<Self> {
        Some(Self { value, label: label.into() })
    }
}

/// A length that has to come off the spool: the next mark of the metre stick.
pub(super) fn off_the_spool(mm: f64, unit: LengthUnit) -> String {
    pull(pulled_mm(mm, unit), unit)
}

impl Parsed {
    /// Of rings: turns to wind, unless the line asks for something else.
    pub(super) fn number_of_rings(
        &self,
        request: &RingRequest,
        plan: &RingPlan,
        counted: bool,
        unit: LengthUnit,
    ) -> Option<KeyNumber> {
        if self.asks(Question::WhichWire) || self.asks(Question::Cost) {
            return None;
        }
        if self.asks(Question::WhatRod) {
            return KeyNumber::new(request.mandrel.shown_in(unit), text!("number-wind-on"));
        }
        if counted {
            return KeyNumber::new(text!("count-ring", n = request.rings_n), text!("number-from-your-wire"));
        }
        if self.asks(Question::Ratio) {
            return KeyNumber::new(shown(plan.aspect_ratio, 1), text!("number-aspect-ratio"));
        }
        if self.asks(Question::HowMuch) {
            return KeyNumber::new(off_the_spool(plan.wire_length_mm, unit), text!("number-off-the-spool"));
        }
        let turns = text!("count-turn", n = plan.turns_per_coil_n);
        let label = match plan.coils_n {
            1 => text!("number-wind-one-coil", mandrel = request.mandrel.shown_in(unit)),
            n => text!("number-wind-coils", n, mandrel = request.mandrel.shown_in(unit)),
        };
        KeyNumber::new(turns, label)
    }

    /// Of a finding: its cut length, unless the line asks for something else; `makes` is how many the wire there gives.
    pub(super) fn number_of_finding(
        &self,
        request: &PatternRequest,
        finished: &FinishedFinding,
        makes: Option<f64>,
        unit: LengthUnit,
    ) -> Option<KeyNumber> {
        if self.asks(Question::WhichWire) || self.asks(Question::Cost) {
            return None;
        }
        if let Some(n) = makes {
            return KeyNumber::new(n.to_string(), text!("number-from-your-wire"));
        }
        let n = request.blanks_n();
        if self.asks(Question::HowMuch) {
            let mm = f64::from(n) * finished.blank.cut_mm;
            return KeyNumber::new(off_the_spool(mm, unit), text!("number-off-the-spool"));
        }
        let label = if n == 1 { text!("number-cut-one").to_owned() } else { text!("number-cut-each", n) };
        KeyNumber::new(on_ruler(finished.blank.flush_mm, unit), label)
    }
}

/// Of a chain: the rings to make.
pub(super) fn number_of_chain(plan: &ChainPlan) -> Option<KeyNumber> {
    KeyNumber::new(text!("count-ring", n = plan.rings_to_make_n), text!("number-to-make"))
}

/// A name with the wire it is of: `Ear wires, sterling silver 0.81 mm`.
fn of_wire(name: &str, wire: &Wire, unit: LengthUnit) -> String {
    text!("number-name", name, metal = wire.metal_shown(), size = thickness(wire.size_mm, unit))
}

/// What a finding may be saved as: `Ear wires, sterling silver 0.81 mm`.
pub(super) fn name_of_finding(request: &PatternRequest, unit: LengthUnit) -> String {
    of_wire(&capital(request.kind.0.plural.as_str()), &request.wire, unit)
}

/// What rings may be saved as: `Rings 5 mm inside, copper 1.02 mm`.
pub(super) fn name_of_rings(request: &RingRequest, plan: &RingPlan, unit: LengthUnit) -> String {
    let name = text!("number-rings", inside = caliper(plan.ring_inside_diameter_mm, unit));
    of_wire(&name, &request.wire, unit)
}

/// What a chain may be saved as: `Byzantine 42 cm, red brass 1.2 mm`.
pub(super) fn name_of_chain(request: &ChainRequest, weave: &str, unit: LengthUnit) -> String {
    let name = text!("number-chain", weave = capital(weave), length = length_told(request.length_mm, unit));
    of_wire(&name, &request.ring.wire, unit)
}
