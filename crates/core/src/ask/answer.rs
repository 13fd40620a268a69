//! What the ask line answers.

use serde::Serialize;

use super::said::{Said, gather};
use super::{LONGEST, Unclear, scan};
use crate::cutting::{Cutting, Method};
use crate::fault::Fault;
use crate::figure::{Figure, inches, long_length};
use crate::length::{self, LengthUnit, shown};
use crate::mandrel::Mandrel;
use crate::metal::Temper;
use crate::pattern::PatternRequest;
use crate::ring::backwards::{Candidate, RingTarget};
use crate::ring::{RingRequest, Winding};
use crate::section::Section;
use crate::sentence::{self, Piece};
use crate::wire::Wire;
use crate::workshop::Workshop;

/// The answer to one line.
#[derive(Debug, Clone, PartialEq, Serialize, Default)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Answer {
    /// The answer in one line; empty where nothing could be answered.
    pub headline: String,
    /// What was understood, written out, in the order typed.
    pub understood: Vec<String>,
    /// What had to be assumed.
    pub assumed: Vec<String>,
    /// Words that were not understood, with their place.
    pub unclear: Vec<Unclear>,
    /// What is still missing for an answer.
    pub missing: Vec<String>,
    /// What is wrong with what was asked.
    pub faults: Vec<Fault>,
    /// The sentence of the plan that was understood.
    pub sentence: Vec<Piece>,
    /// The plan that was understood, ready to be opened or kept.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub request: Option<RingRequest>,
    /// The finding that was understood, ready to be opened in the drawing room.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub pattern: Option<PatternRequest>,
    /// The first figures of that plan.
    pub figures: Vec<Figure>,
    /// Rods that come near the ring asked for, nearest first.
    pub candidates: Vec<Candidate>,
}
/// Reads a line and answers it at once.
pub fn answer(text: &str, workshop: &Workshop) -> Answer {
    let mut reply = Answer::default();
    let length = text.chars().count();
    if length > LONGEST {
        let said = format!("The line is {length} characters long; at most {LONGEST} are read.");
        #[expect(clippy::cast_precision_loss, reason = "400")]
        reply.faults.push(Fault::new("text", said).limit(LONGEST as f64));
        return reply;
    }
    let (tokens, unclear) = scan(text, workshop);
    reply.unclear = unclear;
    let said = gather(&tokens, text, workshop, &mut reply);
    if !reply.faults.is_empty() {
        return reply;
    }
    if let Some(kind) = said.pattern {
        said.answer_finding(kind, workshop, &mut reply);
    } else if said.about_rings || said.rod.is_some() || said.inside_mm.is_some() || said.outside_mm.is_some()
    {
        said.answer_rings(workshop, &mut reply);
    } else {
        said.answer_wire(&mut reply);
    }
    reply
}
impl Said {
    fn wire(&self, reply: &mut Answer) -> Option<Wire> {
        if self.wire.metal.is_none() {
            reply.missing.push("the metal, for example copper or sterling".to_owned());
        }
        if self.wire.size_mm.is_none() {
            reply.missing.push("the size of the wire, for example 18 awg or 1 mm wire".to_owned());
        }
        let (metal, size_mm) = (self.wire.metal?, self.wire.size_mm?);
        if self.wire.temper.is_none() {
            reply.assumed.push("No temper is given: unlabelled wire is nearly always soft.".to_owned());
        }
        Some(Wire {
            metal,
            size_mm,
            section: self.wire.section.unwrap_or(Section::Round),
            temper: self.wire.temper.unwrap_or(Temper::Soft),
        })
    }

    fn cutting(&self) -> Cutting {
        let method = self.method.unwrap_or(Method::Saw);
        Cutting { method, blade: self.blade, filed: self.filed, ..Cutting::default() }
    }

    /// Answers about rings: forwards on a rod that was named, backwards to an inside that was.
    fn answer_rings(&self, workshop: &Workshop, reply: &mut Answer) {
        let wire = self.wire(reply);
        if self.rod.is_none() && self.inside_mm.is_none() && self.outside_mm.is_none() {
            reply.missing.push("the inside of the ring, for example 5 mm inside, or the rod".to_owned());
        }
        let Some(wire) = wire else { return };
        let rings_n = match self.count {
            Some(n) if n > f64::from(crate::ring::MOST_RINGS) => {
                return reply.faults.push(crate::ring::too_many(n));
            }
            #[expect(
                clippy::cast_possible_truncation,
                clippy::cast_sign_loss,
                reason = "digits only, and not too many"
            )]
            Some(n) => n as u32,
            None => crate::ring::hundred(),
        };
        if self.count.is_none() && !self.how_many {
            reply.assumed.push(format!("No count is given: {rings_n} rings are taken."));
        }
        let outside = self.outside_mm.map(|od| od - 2.0 * wire.profile().thickness_mm());
        let mandrel = match (&self.rod, self.inside_mm.or(outside)) {
            (Some(rod), _) => rod.clone(),
            (None, Some(inside)) => match self.rod_for(inside, &wire, rings_n, workshop, reply) {
                Some(rod) => rod,
                None => return,
            },
            (None, None) => return,
        };
        let winding = self.winding.unwrap_or(Winding::Hand);
        let request = RingRequest {
            wire,
            mandrel,
            rings_n,
            winding,
            cutting: self.cutting(),
            ends: crate::ring::Ends::default(),
        };
        self.plan(request, workshop.habits.unit, reply);
    }

    fn rod_for(
        &self,
        inside: f64,
        wire: &Wire,
        rings_n: u32,
        workshop: &Workshop,
        reply: &mut Answer,
    ) -> Option<Mandrel> {
        let target = RingTarget {
            wire: wire.clone(),
            target_inside_diameter_mm: inside,
            shape: crate::mandrel::Shape::Round,
            rings_n,
            winding: Winding::Hand,
            cutting: self.cutting(),
            ends: crate::ring::Ends::default(),
            rods: None,
        };
        match target.choose(&workshop.rods) {
            Err(faults) => {
                reply.faults.extend(faults.0);
                None
            }
            Ok(choice) => {
                reply.candidates = choice.candidates.into_iter().take(4).collect();
                let ideal = shown(choice.mandrel_diameter_mm, 3);
                match reply.candidates.first() {
                    Some(best) => {
                        let sign = if best.off_mm < 0.0 { "−" } else { "+" };
                        let off = format!("{sign}{:.2}", best.off_mm.abs());
                        reply.assumed.push(format!(
                            "The ideal rod is {ideal} mm. The nearest you own is the {}: {off} mm.",
                            best.shown
                        ));
                        Some(best.mandrel.clone())
                    }
                    None => {
                        reply
                            .assumed
                            .push(format!("No rods are listed under Tools: a {ideal} mm rod is taken."));
                        Some(Mandrel::round((choice.mandrel_diameter_mm * 1000.0).round() / 1000.0))
                    }
                }
            }
        }
    }

    fn plan(&self, mut request: RingRequest, unit: LengthUnit, reply: &mut Answer) {
        let mut counted = None;
        if self.how_many && (self.supply.wire_length_mm.is_some() || self.supply.wire_mass_g.is_some()) {
            match self.supply.makes(&request) {
                Err(faults) => return reply.faults.extend(faults.0),
                Ok(many) => {
                    request.rings_n = many.rings_n.max(1);
                    counted = Some(many.sentence);
                }
            }
        }
        match request.plan() {
            Err(faults) => {
                reply.sentence = sentence::write(&request, None, unit);
                reply.faults.extend(faults.0);
            }
            Ok(plan) => {
                let (length, length_unit) = long_length(plan.wire_length_mm);
                let rings = format!(
                    "{} rings of {:.2} mm inside: pull {length} {length_unit} of wire ({:.1} g), wind {:.1} turns on the {}.",
                    request.rings_n,
                    plan.ring_inside_diameter_mm,
                    plan.wire_mass_g,
                    plan.turns_wound,
                    request.mandrel.shown()
                );
                reply.headline = counted.unwrap_or(rings);
                reply.sentence = sentence::write(&request, Some(&plan), unit);
                reply.figures = plan.figures(&request);
            }
        }
        reply.request = Some(request);
    }

    /// Answers about a size, a length, or what a wire weighs.
    fn answer_wire(&self, reply: &mut Answer) {
        let supply = self.supply.wire_length_mm.is_some() || self.supply.wire_mass_g.is_some();
        if self.wire.metal.is_some() && (supply || self.wire.size_mm.is_some()) {
            let Some(wire) = self.wire(reply) else { return };
            if let Err(fault) = wire.check() {
                return reply.faults.push(fault);
            }
            let name = format!(
                "{} {}, {} {}",
                wire.temper,
                wire.metal,
                wire.section,
                wire.size_shown(LengthUnit::Mm)
            );
            reply.headline = match (self.supply.wire_length_mm, self.supply.wire_mass_g) {
                (Some(length), _) => {
                    let (text, unit) = long_length(length);
                    format!("{text} {unit} of {name} weighs {:.1} g.", wire.mass_g(length))
                }
                (None, Some(mass)) => {
                    let length = wire.length_of_mm(mass);
                    let (text, unit) = long_length(length);
                    format!("{} g of {name} is {text} {unit} long ({}).", shown(mass, 2), inches(length))
                }
                (None, None) => {
                    format!(
                        "{name}: {}. One metre weighs {:.2} g.",
                        length::written(wire.size_mm),
                        wire.mass_g(1000.0)
                    )
                }
            };
        } else if let Some(reading) = self.readings.first() {
            reply.headline = format!("{}.", reading.text);
            reply.assumed.extend(reading.note.clone());
        } else if reply.unclear.is_empty() {
            let what = "what you need, for example 120 rings 5 mm inside copper 18 soft";
            reply.missing.push(what.to_owned());
        }
    }
}
