//! What the ask line answers.

use serde::Serialize;

use super::line::{LONGEST, Line, Unclear};
use super::makes::{Kept, Makes};
use super::number::KeyNumber;
use super::parsed::{Parsed, ParsedAt, gather};
use super::token::{Question, scan};
use crate::chain::ChainRequest;
use crate::fault::Fault;
use crate::figure::Figure;
use crate::pattern::PatternRequest;
use crate::pattern::from_tools::Tools;
use crate::piece::Piece;
use crate::rack::choose::{ChooseRequest, Use};
use crate::ring::RingRequest;
use crate::ring::backwards::Candidate;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::Section;
use crate::wire::surface::Surface;
use crate::words::length::{self, Habits, LengthUnit, shown};
use crate::words::scale::{of_wire, sold_by, sold_by_word};
use crate::words::sentence::Phrase;
use crate::words::words;
use lorimant_text::{Text, fixed, text};

/// What is missing where no metal is named.
const MISSING_METAL: Text = Text::named("ask-answer-metal");

words! {
    /// Where what was asked is worked on.
    pub enum View ("view") {
        /// The planning of rings.
        Rings = "rings";
        /// The drawing room.
        Room = "room";
        /// The planning of chains.
        Chain = "chain";
        /// Choosing a wire.
        WhichWire = "which-wire";
        /// What it costs.
        Cost = "cost";
        /// Finding out what went wrong.
        Fix = "fix";
        /// Making a single piece again.
        Match = "match";
        /// Rods, pliers and blades.
        Tools = "tools";
        /// What is to be delivered.
        Orders = "orders";
        /// What is made when.
        Schedule = "schedule";
        /// Bags of what is made.
        FinishedStock = "finished-stock";
        /// Spools, coils and offcuts.
        Stock = "stock";
        /// Which piece is cut from which wire.
        CuttingPlan = "cutting-plan";
        /// Batches, step by step.
        Bench = "bench";
        /// Pieces compared with their plan.
        Measurements = "measurements";
        /// What the wire of a lot does when it is let go.
        Springback = "springback";
        /// Exercises.
        Practice = "practice";
        /// How much one's own pieces differ.
        Consistency = "consistency";
        /// What each place on a jaw makes.
        Jaws = "jaws";
        /// All kinds of findings.
        Findings = "findings";
        /// What is saved.
        Saved = "saved";
        /// Gauges and metals.
        Reference = "reference";
        /// How the program is used.
        Help = "help";
    }
}

/// The answer to one line.
#[derive(Debug, Clone, PartialEq, Serialize, Default)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Answer {
    /// The answer in one line; empty where nothing could be answered.
    pub headline: String,
    /// The one number that was asked for, where there is one.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub number: Option<KeyNumber>,
    /// What the piece may be saved as; empty where there is no piece.
    pub name: String,
    /// What was understood, written out, in the order typed.
    pub understood: Vec<String>,
    /// What had to be assumed.
    pub assumed: Vec<String>,
    /// Words that were not understood or not used, with their place.
    pub unclear: Vec<Unclear>,
    /// What is still missing for an answer.
    pub missing: Vec<String>,
    /// The metal was left out, and nothing stands for it.
    #[serde(skip)]
    pub metal_missing: bool,
    /// What was assumed of the metal, which was left out; `assumed` holds it too.
    #[serde(skip)]
    pub metal_assumed: Option<String>,
    /// What is wrong with what was asked.
    pub faults: Vec<Fault>,
    /// The sentence of the plan that was understood.
    pub sentence: Vec<Phrase>,
    /// The plan that was understood, ready to be opened or kept.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub request: Option<RingRequest>,
    /// The finding that was understood, ready to be opened in the drawing room.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub pattern: Option<PatternRequest>,
    /// The chain that was understood, ready to be opened.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub chain: Option<ChainRequest>,
    /// Where it is opened.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub opens: Option<View>,
    /// What wire is asked for, where no piece is named.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub wire_for: Option<Use>,
    /// The question that is put to the wires there are, where one is asked for.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub choose: Option<ChooseRequest>,
    /// The first figures of that plan.
    pub figures: Vec<Figure>,
    /// Rods that come near the ring asked for, the best to take first.
    pub candidates: Vec<Candidate>,
    /// What the wire there is makes, of each kept piece and each pattern.
    pub makes: Vec<Makes>,
}

impl Answer {
    /// The piece that was understood, where it can be made. Several rings of a finding are a coil: its plan counts.
    fn piece(&self) -> Option<Piece> {
        if !self.faults.is_empty() {
            return None;
        }
        let rings = self.request.clone().map(Piece::Rings);
        let chain = || self.chain.clone().map(|chain| Piece::Chain(Box::new(chain)));
        rings.or_else(chain).or_else(|| self.pattern.clone().map(Piece::Finding))
    }

    /// Says what stands for a metal that was left out.
    pub(super) fn assume_metal(&mut self, told: String) {
        self.metal_assumed = Some(told.clone());
        self.assumed.push(told);
    }
}

/// Reads a line and answers it at once. `kept` gives what the workshop keeps; few lines ask for it.
///
/// ```
/// use lorimant_core::ask::answer;
/// use lorimant_core::tool::workshop::Workshop;
///
/// let reply = answer("120 rings 5 mm inside copper 18 soft", &Workshop::default(), &Vec::new);
/// assert_eq!(reply.request.map(|plan| plan.rings_n), Some(120));
///
/// let reply = answer("120 rings 5 mm inside copper 18 and 7 of those", &Workshop::default(), &Vec::new);
/// assert!(reply.headline.is_empty() && !reply.unclear.is_empty());
/// ```
pub fn answer(text: &str, workshop: &Workshop, kept: &dyn Fn() -> Vec<Kept>) -> Answer {
    let mut reply = read_and_answer(text, workshop, kept);
    if reply.opens == Some(View::WhichWire) && reply.choose.is_none() {
        reply.choose = reply.piece().map(ChooseRequest::usual);
    }
    reply
}

fn read_and_answer(text: &str, workshop: &Workshop, kept: &dyn Fn() -> Vec<Kept>) -> Answer {
    let mut reply = Answer::default();
    let length = text.chars().count();
    if length > LONGEST {
        let message = text!("ask-answer-line-characters-long-at-most", length, LONGEST);
        #[expect(clippy::cast_precision_loss, reason = "400")]
        reply.faults.push(Fault::new("text", message).limit(LONGEST as f64));
        return reply;
    }
    if let Some(page) = super::page::answer_page(text) {
        return page;
    }
    if let Some(wires) = super::wire_for::answer_wire_for(text) {
        return wires;
    }
    if let Some(trouble) = super::trouble::answer_trouble(text) {
        return trouble;
    }
    let (lot_n, without) = off_lot(text);
    let text = without.as_str();
    if let Some(fits) = super::fits::answer_fits(text, workshop, kept) {
        return fits;
    }
    if let Some(mut answer) = super::chain::answer_chain(text, workshop, kept) {
        if let Some(chain) = &mut answer.chain {
            chain.ring.wire.lot = lot_n.map(|lot_n| workshop.lot(lot_n));
        }
        return answer;
    }
    let (tools, without) = super::tools::taken(text, workshop, &mut reply);
    let text = without.as_str();
    let line = Line::new(text, workshop);
    reply.assumed.extend(line.mended.iter().cloned());
    let (tokens, unclear) = scan(&line, workshop);
    reply.unclear = unclear;
    let mut parsed = gather(&tokens, &line, workshop, &mut reply);
    parsed.tools = tools;
    parsed.lot = lot_n.map(|lot_n| workshop.lot(lot_n));
    if let Some(lot) = parsed.lot {
        reply.assumed.push(text!("ask-answer-lot", lot_n = lot.lot_n, lot = lot.told()));
    }
    parsed.point_at_unused(&line, &mut reply);
    parsed.point_at_loose(&line, &mut reply);
    if !reply.faults.is_empty() || held_back(&reply.unclear) {
        return reply;
    }
    let pieces = parsed.pattern.is_some() || parsed.ring_like();
    if parsed.tools != Tools::default() && parsed.pattern.is_none() {
        reply.missing.push(text!("ask-answer-what-make-from-name-finding").to_owned());
        return reply;
    }
    if parsed.fineness_or_count(&line, &mut reply) {
        return reply;
    }
    if pieces && parsed.asks(Question::HowMany) && parsed.supply().is_none() {
        reply.missing.push(text!("ask-answer-how-much-wire-there-for").to_owned());
    } else if !pieces && parsed.asks(Question::Cost) {
        reply.missing.push(text!("ask-answer-what-make-rings-or-finding").to_owned());
    } else if parsed.asks(Question::WhatCanIMake) {
        parsed.answer_makes(workshop, kept, &mut reply);
    } else if let Some(kind) = parsed.pattern.as_ref().map(|kind| kind.value) {
        parsed.answer_finding(kind, workshop, &mut reply);
    } else if parsed.ring_like() {
        parsed.answer_rings(&line, workshop, &mut reply);
    } else {
        parsed.answer_wire(workshop.habits.unit, &mut reply);
    }
    if held_back(&reply.unclear) {
        reply = Answer { unclear: reply.unclear, understood: reply.understood, ..Answer::default() };
    }
    reply.unclear.sort_by_key(|unclear| unclear.from);
    reply
}

/// The lot a line names, `off lot 5`, and the line with spaces in its place, so that every other letter stays where it is.
fn off_lot(text: &str) -> (Option<i64>, String) {
    let lower = text.to_lowercase();
    // A letter whose small one is longer moves all places after it; such a line names no lot.
    let found =
        ["off lot ", "from lot ", "of lot ", "lot "].iter().find_map(|name| Some((lower.find(name)?, *name)));
    let Some((at, name)) = found.filter(|_| lower.len() == text.len()) else {
        return (None, text.to_owned());
    };
    let begins = at == 0 || !lower.as_bytes()[at - 1].is_ascii_alphanumeric();
    let after = &lower[at + name.len()..];
    let digits: String = after.chars().take_while(char::is_ascii_digit).collect();
    let Some(lot_n) = digits.parse::<i64>().ok().filter(|n| begins && *n > 0 && !is_length(after)) else {
        return (None, text.to_owned());
    };
    let to = at + name.len() + digits.len();
    let mut rest = text.to_owned();
    rest.replace_range(at..to, &" ".repeat(to - at));
    // The comma before it goes with it.
    (Some(lot_n), rest.replacen(",  ", "   ", 1))
}

/// Whether a number begins a length, as in `a lot 5 mm inside`, and is no name of a lot.
fn is_length(text: &str) -> bool {
    let bare = |word: &str| word.trim_end_matches([',', ';', ':', '.']).to_owned();
    let mut words = text.split_whitespace();
    let number = words.next().unwrap_or_default();
    let unit = bare(words.next().unwrap_or_default());
    let reads = |text: &str| length::read(text, Habits::default()).is_ok();
    let whole = bare(number).parse::<i64>().is_ok();
    !whole && reads(&bare(number)) || !unit.is_empty() && reads(&format!("{number} {unit}"))
}

/// Whether something unread may be what matters: a quantity, or one of two words for the same thing.
pub(super) fn held_back(unclear: &[Unclear]) -> bool {
    unclear.iter().any(|one| one.holds_back)
}

impl Parsed {
    /// Points at what was said and says nothing of what is asked about.
    fn point_at_unused(&self, line: &Line, reply: &mut Answer) {
        let rings = self.ring_like() || self.asks(Question::WhatCanIMake) && self.pattern.is_none();
        let what = match &self.pattern {
            Some(kind) => kind.value.0.plural.to_string(),
            None if rings => text!("ask-answer-jump-rings").to_owned(),
            None => text!("ask-answer-wire-on-its-own").to_owned(),
        };
        let mut point = |unused: Option<Unclear>| reply.unclear.extend(unused);
        fn at<T>(given: Option<&ParsedAt<T>>, line: &Line, what: &str) -> Option<Unclear> {
            given.map(|given| given.pointed(line, text!("ask-answer-this-has-nothing-do-with", what)))
        }
        if self.asks(Question::WhichWire) || self.asks(Question::Cost) {
            point(at(self.supply_mm.as_ref(), line, text!("ask-answer-what-you-want-know")));
            point(at(self.supply_g.as_ref(), line, text!("ask-answer-what-you-want-know")));
        }
        if self.tools != Tools::default() {
            point(at(self.supply_mm.as_ref(), line, text!("ask-answer-piece-cut-length")));
            point(at(self.supply_g.as_ref(), line, text!("ask-answer-piece-cut-length")));
        }
        if rings {
            return;
        }
        if self.pattern.is_some() {
            point(at(self.rod.as_ref(), line, &what));
            point(at(self.outside_mm.as_ref(), line, &what));
            point(at(self.ratio.as_ref(), line, &what));
        } else {
            let counted = self.count.as_ref();
            point(counted.map(|count| {
                let words = line.typed(count.from, count.to);
                count.pointed(line, text!("ask-answer-what-name-rings-or-finding", words = words.trim()))
            }));
        }
        point(at(self.blade.as_ref(), line, &what));
        point(at(self.method.as_ref(), line, &what));
        point(at(self.winding.as_ref(), line, &what));
    }

    /// Points at units without a number and at words that ask, where they say nothing: a word is missing beside them.
    fn point_at_loose(&self, line: &Line, reply: &mut Answer) {
        let pieces = self.pattern.is_some() || self.ring_like();
        let asked = !self.questions.is_empty() || self.tools != Tools::default();
        let words = |at: &ParsedAt<()>| line.typed(at.from, at.to).trim().to_owned();
        for unit in &self.loose_units {
            // Of `5 in inches` the number has no unit; nobody writes millimetres as a fraction.
            let before = line.typed(0, unit.from).trim_end().to_lowercase();
            let number = before.strip_suffix(" in").and_then(|rest| rest.split_whitespace().next_back());
            let bare = number.is_some_and(|number| number.parse::<f64>().is_ok());
            let text = words(unit);
            if !pieces && bare {
                reply.unclear.push(unit.pointed(line, text!("ask-answer-number-of-what", text)));
            } else if pieces && !asked {
                reply.unclear.push(unit.pointed(line, text!("ask-answer-unit-without-number", text)));
            }
        }
        if pieces && !asked {
            for word in &self.asking {
                reply.unclear.push(word.pointed(line, text!("ask-answer-asks-what", text = words(word))));
            }
        }
    }

    /// Points at a count that is also a fineness, where no metal is named: `925 rings`.
    fn fineness_or_count(&self, line: &Line, reply: &mut Answer) -> bool {
        const FINENESS: [f64; 9] = [375.0, 417.0, 585.0, 750.0, 925.0, 935.0, 950.0, 958.0, 999.0];
        let Some(count) = self.count.as_ref().filter(|count| FINENESS.contains(&count.value.0)) else {
            return false;
        };
        if self.metal.is_some() {
            return false;
        }
        let n = count.value.0;
        let why = text!("ask-answer-pieces-or-metal-fineness-name", n);
        reply.unclear.push(count.pointed(line, why));
        true
    }

    /// The wire of a piece: how much of it is cut and wound hardly depends on its metal, so that one that is not named is
    /// copper, and is said.
    pub(super) fn wire_of_a_piece(&self, reply: &mut Answer) -> Option<Wire> {
        if self.metal.is_some() || self.size_mm.is_none() {
            return self.wire(reply);
        }
        let size_mm = self.size_mm.as_ref()?.value;
        let temper = self.temper.as_ref().map_or(Temper::Soft, |given| given.value);
        let metal = Metal::Copper;
        reply.assume_metal(text!("ask-answer-no-metal-given-using-copper", temper = temper.shown()));
        Some(Wire { metal, size_mm, section: self.section(), temper, surface: self.surface(), lot: self.lot })
    }

    /// The wire the line names; what is missing of it is asked for.
    pub(super) fn wire(&self, reply: &mut Answer) -> Option<Wire> {
        if self.metal.is_none() {
            reply.metal_missing = true;
            reply.missing.push(text!("ask-answer-for-example-copper-or-sterling", MISSING_METAL));
        }
        if self.size_mm.is_none() {
            reply.missing.push(text!("ask-answer-size-wire-for-example-18").to_owned());
        }
        let (metal, size_mm) = (self.metal.as_ref()?.value, self.size_mm.as_ref()?.value);
        Some(Wire {
            metal,
            size_mm,
            section: self.section(),
            temper: self.temper_or_soft(reply),
            surface: self.surface(),
            lot: self.lot,
        })
    }

    pub(super) fn surface(&self) -> Surface {
        self.surface.as_ref().map_or(Surface::Bare, |given| given.value)
    }

    pub(super) fn section(&self) -> Section {
        self.section.as_ref().map_or(Section::Round, |given| given.value)
    }

    pub(super) fn temper_or_soft(&self, reply: &mut Answer) -> Temper {
        if self.temper.is_none() {
            reply.assumed.push(text!("ask-answer-no-temper-given-wire-sold").to_owned());
        }
        self.temper.as_ref().map_or(Temper::Soft, |given| given.value)
    }

    /// Answers about a size, a length, or what a wire weighs.
    fn answer_wire(&self, unit: LengthUnit, reply: &mut Answer) {
        let supply = self.supply();
        if self.metal.is_some() && (supply.is_some() || self.size_mm.is_some()) {
            let Some(wire) = self.wire(reply) else { return };
            if let Err(fault) = wire.check() {
                return reply.faults.push(fault);
            }
            let name = wire.shown(unit);
            let supply = supply.unwrap_or_default();
            reply.headline = match (supply.wire_length_mm, supply.wire_mass_g) {
                (Some(length), Some(mass)) => {
                    let weighs = wire.mass_g(length);
                    let text = of_wire(length, unit);
                    text!(
                        "ask-answer-weighs-g-not-g",
                        text,
                        name,
                        weighs = fixed(weighs, 1),
                        mass = shown(mass, 2)
                    )
                }
                (Some(length), None) => {
                    let text = of_wire(length, unit);
                    text!("ask-answer-weighs-g", text, name, wire = fixed(wire.mass_g(length), 1))
                }
                (None, Some(mass)) => {
                    let length = wire.length_of_mm(mass);
                    text!("ask-answer-g-long", mass = shown(mass, 2), name, length = of_wire(length, unit))
                }
                (None, None) => {
                    let (_, one_mm) = sold_by(unit);
                    let weighs = wire.mass_g(one_mm);
                    let long = sold_by_word(unit);
                    text!(
                        "ask-answer-one-weighs-g",
                        name,
                        size_mm = length::written(wire.size_mm),
                        long,
                        weighs = fixed(weighs, 2)
                    )
                }
            };
        } else if self.supply_g.is_some() || supply.is_some() && self.readings.is_empty() {
            reply.metal_missing = true;
            reply.missing.push(text!("ask-answer-size-wire-for-example-copper", MISSING_METAL));
        } else if (self.asks(Question::WhichWire) || self.asks(Question::HowMuch))
            && self.loose_units.is_empty()
        {
            reply.missing.push(text!("ask-answer-what-for").to_owned());
        } else if let Some(reading) = self.readings.first() {
            reply.headline = format!("{}.", reading.text);
            reply.assumed.extend(reading.note.clone());
        } else if reply.unclear.is_empty() {
            let what = text!("ask-answer-what-you-need-for-example");
            reply.missing.push(what.to_owned());
        }
    }
}
