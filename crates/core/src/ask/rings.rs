//! Asking about rings: forwards on a rod that is named, backwards to an inside, an outside or a ratio.

use super::answer::{Answer, View};
use super::line::Line;
use super::number::{name_of_rings, off_the_spool};
use super::parsed::Parsed;
use super::token::{Counted, Question};
use crate::fault::Fault;
use crate::making::Changes;
use crate::ring::backwards::RingTarget;
use crate::ring::supply::Supply;
use crate::ring::{self, Ends, RingRequest, Wish};
use crate::tool::coil::Winding;
use crate::tool::cutting::{Cutting, Method};
use crate::tool::mandrel::{Mandrel, Shape};
use crate::tool::method::MethodChanges;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::metal::Metal;
use crate::words::capital;
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{LengthUnit, caliper, caliper_step_mm, shown, thickness};
use crate::words::mass::on_scale;
use lorimant_text::{fixed, text};

/// An inside that was asked for beside a rod may differ from what the rod gives by half of what a caliper is read to, and
/// so much more, mm.
const SAME_RING_MM: f64 = 0.01;
/// The same as a share, for rings so wide that the wire's rounded size shows in them.
const SAME_RING_SHARE: f64 = 0.003;

/// Whether a size that was said is another than the one the line gives, mm.
fn differs(given_mm: f64, gives_mm: f64, unit: LengthUnit) -> bool {
    let read = caliper_step_mm(gives_mm, unit) / 2.0 + SAME_RING_MM;
    (given_mm - gives_mm).abs() > read.max(SAME_RING_SHARE * gives_mm)
}

/// What slips over something is so much wider, mm.
const PLAY_MM: f64 = 0.3;

/// Inside over wire of rings when only a wire is asked for: what most chain is made of.
const USUAL_RATIO: f64 = 5.0;

impl Parsed {
    fn cutting(&self) -> Cutting {
        let method = self.method.as_ref().map_or(Method::Saw, |given| given.value);
        let blade = self.blade.as_ref().map(|given| given.value);
        Cutting { method, blade, filed: self.filed, ..Cutting::default() }
    }

    /// What there is of the wire, where the line says so.
    pub(super) fn supply(&self) -> Option<Supply> {
        let wire_length_mm = self.supply_mm.as_ref().map(|given| given.value);
        let wire_mass_g = self.supply_g.as_ref().map(|given| given.value);
        (wire_length_mm.is_some() || wire_mass_g.is_some()).then_some(Supply { wire_length_mm, wire_mass_g })
    }

    /// Answers about rings.
    pub(super) fn answer_rings(&self, line: &Line, workshop: &Workshop, reply: &mut Answer) {
        let unit = workshop.habits.unit;
        let rod_alone = self.asks(Question::WhatRod) && self.size_mm.is_none();
        let wire = if self.asks(Question::WhichWire) || rod_alone {
            self.any_wire(unit, reply)
        } else {
            self.ring_wire(unit, reply)
        };
        let sized = self.inside_mm.is_some()
            || self.over_mm.is_some()
            || self.outside_mm.is_some()
            || self.ratio.is_some();
        if self.rod.is_none() && !sized {
            reply.missing.push(text!("ask-rings-inside-ring-for-example-5").to_owned());
        }
        let Some(wire) = wire else { return };
        let rings_n = match &self.count {
            Some(count) if count.value.0 > f64::from(ring::MOST_RINGS) => {
                return reply.faults.push(ring::too_many(count.value.0));
            }
            #[expect(
                clippy::cast_possible_truncation,
                clippy::cast_sign_loss,
                reason = "whole and not too many"
            )]
            Some(count) => count.value.0 as u32 * if count.value.1 == Counted::Pairs { 2 } else { 1 },
            None => ring::hundred(),
        };
        let counting = self.count.is_none() && self.supply().is_some();
        if self.count.is_none() && !counting && !self.asks(Question::WhatRod) {
            reply.assumed.push(text!("ask-rings-no-count-given-using-rings", rings_n));
        }
        let inside = self.inside_wanted(&wire);
        match (&self.over_mm, &self.inside_mm) {
            (Some(_), None) => {
                let play_mm = caliper(PLAY_MM, unit);
                reply.assumed.push(text!("ask-rings-play-so-that-slips-over", play_mm));
            }
            // Both are said: whether the one goes over the other is what is asked.
            (Some(over), Some(ring)) => {
                let (ring_mm, over_mm) = (caliper(ring.value, unit), caliper(over.value, unit));
                if ring.value <= over.value {
                    let message = text!("ask-rings-does-not-go-over", ring_mm, over_mm);
                    return reply.faults.push(Fault::new("text", message));
                }
                let play_mm = caliper(ring.value - over.value, unit);
                reply.assumed.insert(0, text!("ask-rings-goes-over", ring_mm, over_mm, play_mm));
            }
            _ => {}
        }
        let Some(methods) = self.methods(reply) else { return };
        let mandrel = match (&self.rod, inside) {
            (Some(rod), _) => rod.value.clone(),
            (None, Some(inside)) => match self.rod_for(inside, &wire, rings_n, workshop, reply) {
                Some(rod) => rod,
                None => return,
            },
            (None, None) => return,
        };
        let request = RingRequest {
            wire,
            mandrel,
            rings_n,
            winding: self.winding.as_ref().map_or(Winding::Hand, |given| given.value),
            cutting: self.cutting(),
            ends: Ends::default(),
            wish: Wish { inside_mm: inside.filter(|_| self.rod.is_none()), supply: None },
            pulls_n: self.pulls_n,
            hammered_mm: self.hammered_mm,
            route: Changes { methods, ..Changes::default() },
        };
        self.contradictions(&request, unit, line, reply);
        self.plan(request, counting, workshop, reply);
    }

    /// The ways of making that were named; nothing, with the fault told, where rings are not made so.
    fn methods(&self, reply: &mut Answer) -> Option<MethodChanges> {
        let mut methods = MethodChanges::default();
        for (field, word) in self.ways.iter().map(|way| way.value) {
            methods = methods.choosing(field, word)?;
        }
        if methods.hardening.is_some() {
            // A ring plan ends with its rings: how a batch of them is tumbled is chosen at the bench.
            let message = text!("ask-rings-rings-tumbled-at-bench-leave");
            reply.faults.push(Fault::new("text", message));
            return None;
        }
        Some(methods)
    }

    /// The wire of rings: where only inside and ratio are said, the ratio gives its size.
    fn ring_wire(&self, unit: LengthUnit, reply: &mut Answer) -> Option<Wire> {
        match (&self.size_mm, &self.inside_mm, &self.ratio, &self.metal) {
            (None, Some(inside), Some(ratio), Some(metal)) => {
                let size_mm = inside.value / ratio.value;
                reply
                    .assumed
                    .push(text!("ask-rings-that-ratio-needs-wire", size_mm = thickness(size_mm, unit)));
                let temper = self.temper_or_soft(reply);
                Some(Wire {
                    metal: metal.value,
                    section: self.section(),
                    size_mm,
                    temper,
                    surface: self.surface(),
                    lot: self.lot,
                })
            }
            _ => self.wire_of_a_piece(reply),
        }
    }

    /// A wire to start from where the wire itself is asked for.
    fn any_wire(&self, unit: LengthUnit, reply: &mut Answer) -> Option<Wire> {
        if self.metal.is_some() && self.size_mm.is_some() {
            return self.wire(reply);
        }
        let inside = self.inside_mm.as_ref().map_or(5.0, |given| given.value);
        let size_mm = self.size_mm.as_ref().map_or(inside / USUAL_RATIO, |given| given.value);
        let metal = self.metal.as_ref().map_or(Metal::Copper, |given| given.value);
        let wire = thickness(size_mm, unit);
        reply.assumed.push(match self.asks(Question::WhichWire) {
            true => text!("ask-rings-shown-in-start-with", metal, wire),
            false => text!("ask-rings-no-wire-given-using-thicker", metal, wire),
        });
        Some(Wire {
            metal,
            section: self.section(),
            size_mm,
            temper: self.temper_or_soft(reply),
            surface: self.surface(),
            lot: self.lot,
        })
    }

    fn inside_wanted(&self, wire: &Wire) -> Option<f64> {
        let thickness = wire.profile().thickness_mm();
        let over = self.over_mm.as_ref().map(|over| over.value + PLAY_MM);
        let inside = self.inside_mm.as_ref().map(|given| given.value).or(over);
        let outside = self.outside_mm.as_ref().map(|given| given.value - 2.0 * thickness);
        inside.or(outside).or(self.ratio.as_ref().map(|ratio| ratio.value * thickness))
    }

    /// Points at what says of the same ring another thing than the plan gives.
    fn contradictions(&self, request: &RingRequest, unit: LengthUnit, line: &Line, reply: &mut Answer) {
        let Ok(plan) = request.plan() else { return };
        let gives = plan.ring_inside_diameter_mm;
        let off = |given: f64| differs(given, gives, unit);
        let because = |gives: String| text!("ask-rings-rest-line-gives-leave-one", gives);
        if let Some(inside) = self.inside_mm.as_ref().filter(|given| self.rod.is_some() && off(given.value)) {
            reply.unclear.push(
                inside.pointed(line, because(text!("ask-rings-ring-inside", gives = caliper(gives, unit)))),
            );
        }
        let short = plan.ring_inside_short_mm;
        if let Some(given) =
            self.short_mm.as_ref().filter(|given| self.rod.is_some() && differs(given.value, short, unit))
        {
            reply.unclear.push(
                given.pointed(line, because(text!("ask-rings-ring-short-way", short = caliper(short, unit)))),
            );
        }
        let outside = plan.ring_outside_diameter_mm;
        if let Some(given) = self.outside_mm.as_ref()
            && (self.inside_mm.is_some() || self.rod.is_some())
            && differs(given.value, outside, unit)
        {
            reply.unclear.push(
                given.pointed(
                    line,
                    because(text!("ask-rings-ring-outside", outside = caliper(outside, unit))),
                ),
            );
        }
        if let Some(ratio) = self.ratio.as_ref()
            && (self.inside_mm.is_some() || self.outside_mm.is_some() || self.rod.is_some())
            && (ratio.value / plan.aspect_ratio - 1.0).abs() > 0.05
        {
            let gives = text!("ask-rings-ratio", aspect_ratio = shown(plan.aspect_ratio, 2));
            reply.unclear.push(ratio.pointed(line, because(gives)));
        }
    }

    fn rod_for(
        &self,
        inside: f64,
        wire: &Wire,
        rings_n: u32,
        workshop: &Workshop,
        reply: &mut Answer,
    ) -> Option<Mandrel> {
        let short = self.short_mm.as_ref().map(|given| given.value).filter(|short| *short < inside);
        let target = RingTarget {
            wire: wire.clone(),
            target_inside_diameter_mm: inside,
            target_inside_short_mm: short,
            shape: if short.is_some() || self.oval { Shape::Oval } else { Shape::Round },
            rings_n,
            winding: Winding::Hand,
            cutting: self.cutting(),
            ends: Ends::default(),
            pulls_n: self.pulls_n,
            hammered_mm: self.hammered_mm,
            route: Changes::default(),
            rods: None,
        };
        let choice = match target.choose(workshop) {
            Ok(choice) => choice,
            Err(faults) => {
                reply.faults.extend(faults.0);
                return None;
            }
        };
        let ideal = target.ideal_rod(choice.mandrel_diameter_mm);
        reply.candidates = choice.candidates.into_iter().take(4).collect();
        let best = reply.candidates.first();
        match best {
            Some(best) => {
                let unit = workshop.habits.unit;
                let sign = if best.off_mm < 0.0 { "−" } else { "+" };
                let off = format!("{sign}{}", caliper(best.off_mm.abs(), unit));
                let round = ideal.shape == Shape::Round;
                let size = if round { caliper(ideal.diameter_mm, unit) } else { ideal.size_shown(unit) };
                // What no caliper shows is no difference.
                let fits = best.off_mm.abs() < caliper_step_mm(best.off_mm, unit) / 2.0 + SAME_RING_MM;
                reply.assumed.push(if fits {
                    text!("ask-rings-on-your", shown = best.label)
                } else {
                    text!("ask-rings-ideal-rod-yours-closest", ideal = size, shown = best.label, off)
                });
                Some(best.mandrel.clone())
            }
            None if ideal.shape == Shape::Round => {
                // The nearest drill that is sold: by tenths of a millimetre, or by sixty-fourths of an inch.
                let by = |step_mm: f64| (ideal.diameter_mm / step_mm).round().max(1.0) * step_mm;
                let off = |mm: f64| (mm - ideal.diameter_mm).abs();
                let (metric, inch) = (by(0.1), by(MM_PER_INCH / 64.0));
                let diameter_mm = if off(inch) < off(metric) { inch } else { metric };
                let sold =
                    Mandrel { diameter_mm, name: Some(text!("ask-rings-drill-bit").to_owned()), ..ideal };
                let shown = sold.shown_in(workshop.habits.unit);
                reply.assumed.push(text!("ask-rings-no-rods-listed-under-tools", shown));
                Some(sold)
            }
            None => {
                let size = ideal.size_shown(workshop.habits.unit);
                reply.assumed.push(text!("ask-rings-no-oval-rods-listed-under", size));
                Some(ideal)
            }
        }
    }

    pub(super) fn plan(
        &self,
        mut request: RingRequest,
        counting: bool,
        workshop: &Workshop,
        reply: &mut Answer,
    ) {
        let unit = workshop.habits.unit;
        let mut from_supply = None;
        if let Some(supply) = self.supply() {
            match supply.makes(&request, workshop) {
                Err(faults) => return reply.faults.extend(faults.0),
                Ok(many) => {
                    if counting {
                        request.rings_n = many.rings_n.max(1);
                        request.wish.supply = Some(supply);
                    }
                    from_supply = Some(many.text);
                }
            }
        }
        let supplied = from_supply.clone().filter(|_| !counting);
        let counted = from_supply.is_some() && counting;
        let which = self.asks(Question::WhichWire);
        match request.finished(workshop) {
            Err(faults) => {
                reply.sentence = ring::sentence::write(&request, None, unit);
                reply.faults.extend(faults.0);
            }
            Ok(finished) => {
                let plan = &finished.plan;
                // Another size than the one asked for is said first.
                let wished =
                    request.wish.inside_mm.filter(|mm| differs(*mm, plan.ring_inside_diameter_mm, unit));
                let closest = wished.map_or_else(String::new, |mm| {
                    let gives = caliper(plan.ring_inside_diameter_mm, unit);
                    text!("ask-rings-closest-with-your-rods-not", gives, mm = caliper(mm, unit))
                });
                let rings = text!(
                    "ask-rings-inside-g-on",
                    rings_n = text!("count-ring", n = request.rings_n),
                    ring_inside_diameter_mm = caliper(plan.ring_inside_diameter_mm, unit),
                    plan = plan.to_wind(unit),
                    wire_mass_g = fixed(plan.wire_mass_g, 1),
                    mandrel = request.mandrel.shown_in(unit)
                );
                reply.headline = match from_supply {
                    _ if which => text!("ask-rings-compares-wires-for-these-rings").to_owned(),
                    _ if self.asks(Question::Cost) => {
                        text!(
                            "ask-rings-what-cost-from-your-prices",
                            rings_n = text!("count-ring", n = request.rings_n)
                        )
                    }
                    _ if self.asks(Question::WhatRod) => text!(
                        "ask-rings-wind-on-rings-inside",
                        mandrel = request.mandrel.shown_in(unit),
                        ring_inside_diameter_mm = caliper(plan.ring_inside_diameter_mm, unit)
                    ),
                    Some(many) if counting => many,
                    _ if self.asks(Question::Turns) => {
                        text!(
                            "ask-rings-for",
                            plan = capital(&plan.to_wind(unit)),
                            rings_n = text!("count-ring", n = request.rings_n)
                        )
                    }
                    _ if self.asks(Question::Ratio) => text!(
                        "ask-rings-aspect-ratio-inside-over-wire",
                        aspect_ratio = shown(plan.aspect_ratio, 1),
                        ring_inside_diameter_mm = caliper(plan.ring_inside_diameter_mm, unit),
                        wire = thickness(request.wire.profile().thickness_mm(), unit)
                    ),
                    None if self.asks(Question::HowMuch) => {
                        text!(
                            "ask-rings-wire-g-for",
                            all_mm = off_the_spool(plan.wire_length_mm, unit),
                            wire_mass_g = on_scale(plan.wire_mass_g),
                            rings_n = text!("count-ring", n = request.rings_n),
                            plan = plan.to_wind(unit)
                        )
                    }
                    Some(many) => format!("{rings} {many}"),
                    None => rings,
                };
                reply.headline.insert_str(0, &closest);
                reply.number = self.number_of_rings(&request, plan, counted, unit);
                reply.name = name_of_rings(&request, plan, unit);
                if let Some(many) =
                    supplied.filter(|_| self.asks(Question::Turns) || self.asks(Question::Ratio))
                {
                    reply.headline.push_str(&format!(" {many}"));
                }
                reply.sentence = ring::sentence::write(&request, Some(plan), unit);
                reply.figures = finished.figures(&request, workshop);
            }
        }
        reply.opens = Some(match (which, self.asks(Question::Cost)) {
            (true, _) => View::WhichWire,
            (_, true) => View::Cost,
            _ => View::Rings,
        });
        reply.request = Some(request);
    }
}
