//! Asking about findings: dimensions by their label, and the answer.

use std::collections::BTreeMap;

use winnow::ascii::multispace0;
use winnow::combinator::{alt, opt, terminated};
use winnow::prelude::*;

use super::answer::{Answer, View};
use super::number::{name_of_finding, off_the_spool};
use super::parsed::Parsed;
use super::token::{Counted, Meaning, Question, length_alone};
use super::vocabulary;
use crate::fault::Fault;
use crate::making::Changes;
use crate::pattern::backwards::{Measure, Target};
use crate::pattern::from_tools::Tools;
use crate::pattern::sentence;
use crate::pattern::sheet::measured;
use crate::pattern::{BlankEnds, Kind, MOST_PIECES, Parameter, PatternRequest, Unit};
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::words::length::{self, pull};
use crate::words::number;
use crate::words::{backtrack, capital, word_end};
use lorimant_text::{fixed, text};

/// A dimension of the pattern spoken of: `loop 2.2 mm`, `3mm loops`, `tip out 18°`, `loops touching`.
pub(super) fn dimension(input: &mut &str, kind: Option<Kind>, workshop: &Workshop) -> ModalResult<Meaning> {
    let Some(kind) = kind else { return Err(backtrack()) };
    // Longer labels first, so that `second loop` is not read as `loop`.
    let mut parameters: Vec<&'static Parameter> = kind.0.parameters.iter().collect();
    parameters.sort_by_key(|parameter| std::cmp::Reverse(parameter.label.len()));
    let start = *input;
    for parameter in parameters {
        for reading in [led, tailed, alone] {
            *input = start;
            if let Ok((value, several)) = reading(input, parameter, workshop) {
                return Ok(Meaning::Parameter(parameter, value, several));
            }
        }
    }
    *input = start;
    Err(backtrack())
}

/// The parameter's label; whether it was said of several.
fn label(input: &mut &str, parameter: &Parameter) -> ModalResult<bool> {
    let lower = parameter.label.to_lowercase();
    if !input.starts_with(&lower) {
        return Err(backtrack());
    }
    *input = &input[lower.len()..];
    let several = opt("s").parse_next(input)?.is_some();
    word_end(input)?;
    Ok(several)
}

fn value(input: &mut &str, parameter: &Parameter, workshop: &Workshop) -> ModalResult<f64> {
    match parameter.unit {
        Unit::Mm => {
            let typed = length_alone(input)?;
            length::understand(typed, workshop.habits).map(|reading| reading.mm).map_err(|_| backtrack())
        }
        Unit::Deg => terminated(number::amount, opt((multispace0, alt(("degrees", "deg", "°")))))
            .map(|amount| amount.value)
            .parse_next(input),
        Unit::Turns => number::amount.map(|amount| amount.value).parse_next(input),
        Unit::Choice => {
            let found = parameter.options.iter().position(|option| input.starts_with(&option.to_lowercase()));
            let index = found.ok_or_else(backtrack)?;
            *input = &input[parameter.options[index].len()..];
            #[expect(clippy::cast_precision_loss, reason = "a handful")]
            Ok(index as f64)
        }
    }
}

fn led(input: &mut &str, parameter: &Parameter, workshop: &Workshop) -> ModalResult<(f64, bool)> {
    let several = label(input, parameter)?;
    multispace0.parse_next(input)?;
    Ok((value(input, parameter, workshop)?, several))
}

fn tailed(input: &mut &str, parameter: &Parameter, workshop: &Workshop) -> ModalResult<(f64, bool)> {
    if parameter.unit == Unit::Choice {
        return Err(backtrack());
    }
    let value = value(input, parameter, workshop)?;
    multispace0.parse_next(input)?;
    // `1 paddle head pin` counts pins.
    if let Ok(Meaning::Pattern(_)) = vocabulary::phrase(&mut &**input) {
        return Err(backtrack());
    }
    Ok((value, label(input, parameter)?))
}

/// What needs no number: a choice, or the words for none.
fn alone(input: &mut &str, parameter: &Parameter, workshop: &Workshop) -> ModalResult<(f64, bool)> {
    if let Some(none) = parameter.none.map(|none| none.to_lowercase())
        && input.starts_with(&none)
    {
        *input = &input[none.len()..];
        return Ok((0.0, false));
    }
    if parameter.unit == Unit::Choice {
        return Ok((value(input, parameter, workshop)?, false));
    }
    Err(backtrack())
}

/// The longer way across a piece: what its size is taken of.
fn larger(request: &PatternRequest) -> Measure {
    let of = |measure| request.measure(measure).unwrap_or(0.0);
    if of(Measure::Width) > of(Measure::Height) { Measure::Width } else { Measure::Height }
}

impl Parsed {
    /// Answers about a finding: the wire and dimensions that were said, the usual ones for the rest.
    pub(super) fn answer_finding(&self, kind: Kind, workshop: &Workshop, reply: &mut Answer) {
        let Some(mut request) = self.finding(kind, workshop, reply) else { return };
        let unit = workshop.habits.unit;
        let mut of_tools = None;
        if self.tools != Tools::default() {
            match request.from_tools(&self.tools, workshop) {
                Err(faults) => return reply.faults.extend(faults.0),
                Ok(fitted) => {
                    of_tools = Some(request.of_tools_told(&self.tools, &fitted, unit));
                    request = fitted.request;
                }
            }
        }
        if let Some(size) = &self.piece_mm {
            let target = Target { measure: larger(&request), mm: size.value };
            match request.fitted_with(&[target], workshop) {
                Err(faults) => return reply.faults.extend(faults.0),
                Ok(fitted) => request = fitted.request,
            }
        }
        if !self.ways_apply(&mut request, workshop, reply) {
            return;
        }
        // Several rings alike are a coil, not so many blanks.
        let several = request.pieces_n > 1 && of_tools.is_none() && !self.asks(Question::WhichWire);
        if let Some(coil) = Some(&request).filter(|_| several).and_then(|one| one.as_coil(workshop)) {
            reply
                .assumed
                .push(text!("ask-finding-wound-as-coil-cut", plural = capital(kind.0.plural.as_str())));
            self.plan(coil, self.asks(Question::HowMany), workshop, reply);
            reply.pattern = Some(request);
            return;
        }
        reply.sentence = sentence::write(&request, unit);
        match request.finished(workshop) {
            Err(faults) => reply.faults.extend(faults.0),
            Ok(finished) => {
                let (blank, marks) = (&finished.blank, &finished.marks);
                let n = request.blanks_n();
                let marks: Vec<String> = measured(marks).map(|mark| mark.place_told()).collect();
                let name = capital(kind.0.plural.as_str());
                let mut from_wire = None;
                reply.headline = match self.supply() {
                    _ if of_tools.is_some() => of_tools.unwrap_or_default(),
                    _ if self.asks(Question::WhichWire) => {
                        text!("ask-finding-compares-wires-for", plural = kind.0.plural)
                    }
                    _ if self.asks(Question::Cost) => {
                        text!(
                            "ask-finding-what-cost-from-your-prices",
                            request = request.count_shown(),
                            plural = kind.0.plural
                        )
                    }
                    Some(supply) => match supply.length_mm(&request.wire) {
                        Err(fault) => return reply.faults.push(fault),
                        Ok(there) => {
                            let makes = (there / blank.cut_mm + 1e-9).floor();
                            from_wire = Some(makes);
                            let wanted = if self.count.is_some() {
                                text!("ask-finding-wanted", n)
                            } else {
                                String::new()
                            };
                            text!(
                                "ask-finding-from",
                                name,
                                makes,
                                blank = blank.line(unit),
                                there = pull(there, unit),
                                wanted
                            )
                        }
                    },
                    None if self.asks(Question::HowMuch) => text!(
                        "ask-finding-wire-for-cut-each-at",
                        n = off_the_spool(f64::from(n) * blank.cut_mm, unit),
                        n2 = n,
                        value = if n == 1 { kind.0.name } else { kind.0.plural },
                        blank = blank.line(unit)
                    ),
                    None => text!(
                        "ask-finding-cut-at-wire",
                        name,
                        n,
                        blank = blank.line(unit),
                        value = if marks.is_empty() {
                            text!("ask-finding-rolled-from-end").to_owned()
                        } else {
                            text!("ask-finding-mark-at", marks = marks.join(", "))
                        },
                        n2 = off_the_spool(f64::from(n) * blank.cut_mm, unit)
                    ),
                };
                reply.number = self.number_of_finding(&request, &finished, from_wire, unit);
                reply.name = name_of_finding(&request, unit);
                reply.figures = finished.figures(workshop);
            }
        }
        reply.opens = Some(match (self.asks(Question::WhichWire), self.asks(Question::Cost)) {
            (true, _) => View::WhichWire,
            (_, true) => View::Cost,
            _ => View::Room,
        });
        reply.pattern = Some(request);
    }

    /// Puts the ways of making that were named into the plan; one that changes nothing of it is a fault.
    fn ways_apply(&self, request: &mut PatternRequest, workshop: &Workshop, reply: &mut Answer) -> bool {
        let steps = |request: &PatternRequest| {
            request
                .finished(workshop)
                .map(|finished| finished.made.steps.iter().map(|step| step.text.clone()).collect())
        };
        for way in &self.ways {
            let (field, word) = way.value;
            let mut with = request.clone();
            let Some(chosen) = with.route.methods.choosing(field, word) else { continue };
            with.route.methods = chosen;
            let (before, after): (Result<Vec<String>, _>, Result<Vec<String>, _>) =
                (steps(request), steps(&with));
            if after.is_ok() && before == after {
                let message = text!(
                    "ask-finding-not-leave-that-word-out",
                    plural = capital(request.kind.0.plural.as_str()),
                    tumbled = word == "tumble"
                );
                reply.faults.push(Fault::new("text", message));
                return false;
            }
            *request = with;
        }
        true
    }

    /// The finding the line speaks of; what it leaves out is as usual, and said.
    fn finding(&self, kind: Kind, workshop: &Workshop, reply: &mut Answer) -> Option<PatternRequest> {
        let usual = kind.0.usual();
        if self.metal.is_none() {
            reply.assume_metal(text!("ask-finding-no-metal-given-using-as", metal = usual.metal));
        }
        if self.size_mm.is_none() {
            let size = usual.size_shown(workshop.habits.unit);
            reply.assumed.push(text!("ask-finding-no-wire-size-given-using", size));
        }
        // Naming the metal changes no temper: it stays the usual one for the piece.
        let temper = match (&self.temper, &self.metal) {
            (Some(temper), _) => temper.value,
            (None, named) => {
                if named.is_some() {
                    reply.assumed.push(text!("ask-finding-no-temper-given-using-as", temper = usual.temper));
                }
                usual.temper
            }
        };
        let (count, counted) = self.count.as_ref().map_or((1.0, Counted::Pairs), |count| count.value);
        if count > f64::from(MOST_PIECES) {
            let message = text!("ask-finding-pieces-too-many-plan-at", count = fixed(count, 0), MOST_PIECES);
            reply.faults.push(Fault::new("pieces_n", message).limit(f64::from(MOST_PIECES)));
            return None;
        }
        // Only pairs double; two pieces of what is not made in pairs are two pieces.
        let doubled =
            if counted == Counted::Pairs && !kind.0.paired && self.count.is_some() { 2.0 } else { 1.0 };
        #[expect(
            clippy::cast_possible_truncation,
            clippy::cast_sign_loss,
            reason = "whole, and not too many"
        )]
        let pieces_n = (count * doubled) as u32;
        if self.count.is_none() {
            let one = if kind.0.paired { text!("ask-finding-one-pair") } else { text!("ask-finding-one") };
            reply.assumed.push(text!("ask-finding-no-count-given-using", one));
        }
        let mut parameters: BTreeMap<String, f64> =
            self.parameters.iter().map(|(name, given)| (name.clone(), given.value)).collect();
        if let Some(over) = &self.over_mm {
            match kind.0.parameters.iter().find(|parameter| parameter.name == "cord_mm") {
                Some(cord) => {
                    parameters.insert(cord.name.to_owned(), over.value);
                }
                None => {
                    let message = text!(
                        "ask-finding-slip-over-nothing-leave-that",
                        plural = capital(kind.0.plural.as_str())
                    );
                    reply.faults.push(Fault::new("text", message));
                    return None;
                }
            }
        }
        if let Some(mm) = self.hammered_mm {
            let takes = |parameter: &&Parameter| matches!(parameter.name, "hammered_mm" | "ends_mm");
            match kind.0.parameters.iter().find(takes) {
                Some(parameter) => {
                    parameters.insert(parameter.name.to_owned(), mm);
                }
                None => {
                    reply.faults.push(Fault::new(
                        "text",
                        text!("ask-finding-not-hammered", plural = capital(kind.0.plural.as_str())),
                    ));
                    return None;
                }
            }
        }
        let count_singles = kind.0.paired && counted != Counted::Pairs;
        if count_singles && self.count.is_some() {
            reply.assumed.push(text!("ask-finding-single", n = pieces_n));
        }
        let sizes = [self.inside_mm.as_ref(), self.short_mm.as_ref()].into_iter().flatten();
        for (name, given) in kind.0.sized_by.iter().zip(sizes) {
            parameters.entry((*name).to_owned()).or_insert(given.value);
        }
        Some(PatternRequest {
            kind,
            parameters,
            wire: Wire {
                metal: self.metal.as_ref().map_or(usual.metal, |given| given.value),
                section: self.section(),
                size_mm: self.size_mm.as_ref().map_or(usual.size_mm, |given| given.value),
                temper,
                surface: self.surface(),
                lot: self.lot,
            },
            pieces_n,
            count_singles,
            mirrored: self.mirrored,
            allowance_mm: 0.0,
            plier: None,
            ends: BlankEnds::default(),
            route: Changes::default(),
        })
    }
}
