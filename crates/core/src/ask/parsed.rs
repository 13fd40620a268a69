//! What a line says, gathered from its tokens.

use std::collections::BTreeMap;

use super::answer::Answer;
use super::line::{Line, Unclear};
use super::place::{self, Quantity};
use super::token::{Counted, Meaning, Question, Role, Token};
use crate::fault::Fault;
use crate::pattern::drawn::dimension_text;
use crate::pattern::from_tools::Tools;
use crate::pattern::{Kind, Parameter};
use crate::reading::Word;
use crate::tool::coil::Winding;
use crate::tool::cutting::{Blade, Method};
use crate::tool::mandrel::Mandrel;
use crate::tool::workshop::Workshop;
use crate::wire::lot::LotFactor;
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::Section;
use crate::wire::surface::Surface;
use crate::words::length::{self, Reading, Typed, caliper, caliper_number, inches, shown, thickness};
use lorimant_text::text;

/// Largest wire that can be planned, mm; a longer length named as wire is so much of it.
const THICKEST_MM: f64 = 13.0;
/// Two sizes further apart than this are no oval: `50 x 5 mm rings` are fifty.
const MOST_OVAL: f64 = 4.0;

/// A length that is no wire size: in mm and inches, without gauges.
pub(super) fn plainly(mm: f64) -> String {
    text!("ask-parsed-mm", mm = shown(mm, 3), mm2 = inches(mm))
}

/// Something the line says, and where.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct ParsedAt<T> {
    pub value: T,
    pub from: usize,
    pub to: usize,
}

impl<T> ParsedAt<T> {
    /// The stretch it stands in, pointed at.
    pub fn pointed(&self, line: &Line, why: impl Into<String>) -> Unclear {
        Unclear {
            from: self.from,
            to: self.to,
            text: line.typed(self.from, self.to),
            why: why.into(),
            instead: vec![],
            holds_back: true,
        }
    }
}

/// Everything a line can say. Lengths in mm, masses in g.
#[derive(Default)]
pub(super) struct Parsed {
    pub count: Option<ParsedAt<(f64, Counted)>>,
    pub metal: Option<ParsedAt<Metal>>,
    pub temper: Option<ParsedAt<Temper>>,
    pub section: Option<ParsedAt<Section>>,
    pub surface: Option<ParsedAt<Surface>>,
    pub size_mm: Option<ParsedAt<f64>>,
    /// The tools or the cut that the sizes follow from.
    pub tools: Tools,
    /// The spool it is taken from.
    pub lot: Option<LotFactor>,
    pub winding: Option<ParsedAt<Winding>>,
    pub method: Option<ParsedAt<Method>>,
    pub filed: bool,
    pub blade: Option<ParsedAt<Blade>>,
    pub rod: Option<ParsedAt<Mandrel>>,
    pub inside_mm: Option<ParsedAt<f64>>,
    /// Short way across, where two sizes were given.
    pub short_mm: Option<ParsedAt<f64>>,
    pub outside_mm: Option<ParsedAt<f64>>,
    pub ratio: Option<ParsedAt<f64>>,
    pub supply_mm: Option<ParsedAt<f64>>,
    pub supply_g: Option<ParsedAt<f64>>,
    pub about_rings: bool,
    pub oval: bool,
    pub pulls_n: u32,
    pub hammered_mm: Option<f64>,
    /// Ways of making that are named, each with its place.
    pub ways: Vec<ParsedAt<(&'static str, &'static str)>>,
    /// What it has to slip over, mm.
    pub over_mm: Option<ParsedAt<f64>>,
    /// How large the whole piece is, mm.
    pub piece_mm: Option<ParsedAt<f64>>,
    pub pattern: Option<ParsedAt<Kind>>,
    pub mirrored: bool,
    pub parameters: BTreeMap<String, ParsedAt<f64>>,
    pub questions: Vec<Question>,
    /// Units without a number.
    pub loose_units: Vec<ParsedAt<()>>,
    /// Words that ask, without what they ask.
    pub asking: Vec<ParsedAt<()>>,
    /// Every length read, for a line that only converts.
    pub readings: Vec<Reading>,
}

impl Parsed {
    pub fn asks(&self, question: Question) -> bool {
        self.questions.contains(&question)
    }

    /// Whether the line is about rings, said or by what only rings have.
    pub fn ring_like(&self) -> bool {
        self.pattern.is_none()
            && (self.about_rings
                || self.rod.is_some()
                || self.inside_mm.is_some()
                || self.over_mm.is_some()
                || self.outside_mm.is_some()
                || self.ratio.is_some())
    }
}

/// Gathers what a line says, and notes in the reply what was understood of it and what was not.
pub(super) fn gather(tokens: &[Token], line: &Line, workshop: &Workshop, reply: &mut Answer) -> Parsed {
    let mut gathering = Gathering {
        parsed: Parsed::default(),
        unplaced: vec![],
        kind: tokens.iter().find_map(|token| match token.meaning {
            Meaning::Pattern(kind) => Some(kind),
            _ => None,
        }),
        line,
        workshop,
        reply,
    };
    for token in tokens {
        gathering.take(token);
    }
    let Gathering { mut parsed, unplaced, reply, .. } = gathering;
    // `how many hooks can I make` asks for one number.
    if parsed.asks(Question::HowMany) {
        parsed.questions.retain(|question| *question != Question::WhatCanIMake);
    }
    place::place(unplaced, line, workshop, &mut parsed, reply);
    parsed
}

struct Gathering<'a> {
    parsed: Parsed,
    unplaced: Vec<Quantity>,
    /// The pattern spoken of, wherever in the line.
    kind: Option<Kind>,
    line: &'a Line,
    workshop: &'a Workshop,
    reply: &'a mut Answer,
}

/// Keeps the first of what is said twice, and points at the second where it says another thing.
fn once<T: PartialEq>(
    slot: &mut Option<ParsedAt<T>>,
    given: ParsedAt<T>,
    noun: &str,
    line: &Line,
    reply: &mut Answer,
) {
    match slot {
        Some(first) if first.value != given.value => {
            let other = line.typed(first.from, first.to);
            let why = text!("ask-parsed-line-already-says-for-keep", other = other.trim(), noun);
            reply.unclear.push(given.pointed(line, why));
        }
        Some(_) => {}
        None => *slot = Some(given),
    }
}

/// Keeps what a token gives in its slot, once.
macro_rules! once {
    ($of:ident, $from:ident, $to:ident, $slot:ident, $value:expr, $noun:expr) => {
        once(
            &mut $of.parsed.$slot,
            ParsedAt { value: $value, from: $from, to: $to },
            $noun,
            $of.line,
            $of.reply,
        )
    };
}

impl Gathering<'_> {
    fn note(&mut self, token: &Token, meaning: String) {
        let written = self.line.typed(token.from, token.to);
        let written = written.trim();
        let same = meaning.to_lowercase() == written.to_lowercase();
        self.reply.understood.push(if same { meaning } else { format!("{written}: {meaning}") });
    }

    fn take(&mut self, token: &Token) {
        let Token { from, to, .. } = *token;
        match &token.meaning {
            Meaning::Filler => {}
            Meaning::LooseUnit => self.parsed.loose_units.push(ParsedAt { value: (), from, to }),
            Meaning::Asking => self.parsed.asking.push(ParsedAt { value: (), from, to }),
            Meaning::Rings => self.parsed.about_rings = true,
            Meaning::Oval => {
                self.parsed.oval = true;
                self.note(token, self.line.typed(from, to).trim().to_lowercase());
            }
            Meaning::Pulls(n) => {
                self.parsed.pulls_n = *n;
                self.note(token, text!("ask-parsed-pulled-straight", n = text!("count-time", n = *n)));
            }
            Meaning::Hammered(typed) => match length::understand(*typed, self.workshop.habits) {
                Ok(read) => {
                    self.parsed.hammered_mm = Some(read.mm);
                    self.note(
                        token,
                        text!("ask-parsed-hammered", mm = thickness(read.mm, self.workshop.habits.unit)),
                    );
                }
                Err(why) => self.reply.faults.push(Fault::new("text", why)),
            },
            Meaning::Way(field, word) => {
                self.parsed.ways.push(ParsedAt { value: (*field, *word), from, to });
                self.note(token, self.line.typed(from, to).trim().to_lowercase());
            }
            Meaning::Over(typed) => match length::understand(*typed, self.workshop.habits) {
                Ok(read) => {
                    once!(self, from, to, over_mm, read.mm, text!("ask-noun-size-it-goes-over"));
                    self.note(token, text!("ask-parsed-slip-over", mm = plainly(read.mm)));
                }
                Err(why) => self.reply.faults.push(Fault::new("text", why)),
            },
            Meaning::Ask(question) => self.parsed.questions.push(*question),
            Meaning::Mirrored => {
                self.parsed.mirrored = true;
                self.note(token, text!("ask-parsed-mirrored").to_owned());
            }
            Meaning::Count(n, counted) => {
                self.parsed.about_rings |= *counted == Counted::Rings;
                once!(self, from, to, count, (*n, *counted), text!("ask-noun-count"));
                self.note(token, counted_text(*n, *counted));
            }
            Meaning::Pattern(kind) => {
                once!(self, from, to, pattern, *kind, text!("ask-noun-finding"));
                self.note(token, kind.0.name.to_owned().to_string());
            }
            Meaning::Parameter(parameter, value, several) => {
                self.parameter(token, parameter, *value, *several)
            }
            Meaning::Word(word) => self.word(token, *word),
            Meaning::Blade(blade) => {
                once!(self, from, to, blade, *blade, text!("ask-noun-blade"));
                self.note(token, text!("ask-parsed-blade", blade));
            }
            Meaning::Rod(rod) => {
                self.note(token, text!("ask-parsed-on", rod = rod.shown_in(self.workshop.habits.unit)));
                self.numbered_or_measured(token, rod);
                once!(self, from, to, rod, (**rod).clone(), text!("ask-noun-rod"));
            }
            Meaning::Mass(grams) => {
                once!(self, from, to, supply_g, *grams, text!("ask-noun-weight"));
                self.note(token, format!("{} g", shown(*grams, 2)));
                let written = self.line.typed(from, to).to_lowercase();
                if written.trim_end().ends_with("oz")
                    || written.contains("ounce") && !written.contains("troy")
                {
                    let note = text!("ask-parsed-ounce-read-as-28-35");
                    self.reply.assumed.push(note.to_owned());
                }
            }
            Meaning::Ratio(ratio) => {
                once!(self, from, to, ratio, *ratio, text!("ask-noun-aspect-ratio"));
                self.note(token, text!("ask-parsed-inside-times-wire", ratio = shown(*ratio, 2)));
            }
            Meaning::MassOrGauge(n) => self.unplaced.push(Quantity::mass_or_gauge(*n, from, to)),
            Meaning::Across(first, second, counts) => self.across(token, *first, *second, *counts),
            Meaning::Length(typed, role) => self.length(token, *typed, *role),
        }
    }

    fn word(&mut self, token: &Token, word: Word) {
        let Token { from, to, .. } = *token;
        match word {
            Word::Metal(metal) => {
                once!(self, from, to, metal, metal, text!("ask-noun-metal"));
                self.note(token, metal.shown().to_owned());
            }
            Word::Either(either) => match either.usual {
                Some(metal) => {
                    once!(self, from, to, metal, metal, text!("ask-noun-metal"));
                    self.note(token, metal.shown().to_owned());
                    self.reply.assumed.push(text!("ask-parsed-read-as", note = either.note, metal));
                }
                None => {
                    let text = self.line.typed(from, to);
                    self.reply.unclear.push(Unclear {
                        from,
                        to,
                        text,
                        why: either.note.to_string(),
                        instead: vec![],
                        holds_back: true,
                    });
                }
            },
            Word::Temper(temper) => {
                once!(self, from, to, temper, temper, text!("ask-noun-temper"));
                self.note(token, temper.shown().to_owned());
            }
            Word::Section(section) => {
                once!(self, from, to, section, section, text!("ask-noun-section"));
                self.note(token, section.shown().to_owned());
            }
            Word::Surface(surface) => {
                once!(self, from, to, surface, surface, text!("ask-noun-surface"));
                self.note(token, surface.shown().to_owned());
            }
            Word::Winding(winding) => once!(self, from, to, winding, winding, text!("ask-noun-winding")),
            Word::Method(method) => {
                once!(self, from, to, method, method, text!("ask-noun-cutting"));
                self.note(token, method.shown().to_owned());
            }
            Word::Filed => self.parsed.filed = true,
        }
    }

    /// A drill bit or a needle named by a bare number may be meant by its number: that it is read as a size is said.
    fn numbered_or_measured(&mut self, token: &Token, rod: &Mandrel) {
        let written = self.line.typed(token.from, token.to).to_lowercase();
        let numbered = ["drill", "needle"].iter().any(|tool| written.contains(tool));
        let size = written.find(|c: char| c.is_ascii_digit() || c == '.').map(|at| &written[at..]);
        let read = size.and_then(|mut rest| length::typed(&mut rest).ok());
        let bare = read.filter(|read| matches!(read, Typed::Bare(_) | Typed::Fraction(_)));
        let as_size = bare.and_then(|bare| length::understand(bare, self.workshop.habits).ok());
        // `US 8` is another size than 8 mm: its number was read as one.
        if numbered && as_size.is_some_and(|size| (size.mm - rod.diameter_mm).abs() < 1e-6) {
            let size = caliper(rod.diameter_mm, self.workshop.habits.unit);
            self.reply.assumed.push(text!("ask-parsed-rod-number-read-as", text = written.trim(), size));
        }
    }

    fn parameter(&mut self, token: &Token, parameter: &'static Parameter, value: f64, several: bool) {
        let all = self.kind.map_or(&[][..], |kind| kind.0.parameters);
        let same = |other: &&Parameter| {
            other.name == parameter.name
                || (several
                    && other.unit == parameter.unit
                    && other.label.split(' ').next_back() == Some(parameter.label.as_str()))
        };
        for one in all.iter().filter(same) {
            let given = ParsedAt { value, from: token.from, to: token.to };
            self.parsed.parameters.insert(one.name.to_owned(), given);
            let text = dimension_text(value, one.unit, self.workshop.habits.unit);
            self.note(token, format!("{} {text}", one.label));
        }
    }

    /// `6 x 4`: an oval; `50 x 5 mm rings`: fifty of 5 mm.
    fn across(&mut self, token: &Token, first: Typed, second: Typed, counts: bool) {
        let Token { from, to, .. } = *token;
        let habits = self.workshop.habits;
        let (Ok(a), Ok(b)) = (length::understand(first, habits), length::understand(second, habits)) else {
            return;
        };
        let text = self.line.typed(from, to);
        let count = text.chars().take_while(char::is_ascii_digit).collect::<String>().parse::<f64>().ok();
        let takes_two = self.kind.is_some_and(|kind| kind.0.sized_by.len() == 2);
        let far = a.mm / b.mm > MOST_OVAL;
        match count {
            Some(n) if counts && far && !takes_two => {
                let counted = ParsedAt { value: (n, Counted::Unsaid), from, to };
                once(&mut self.parsed.count, counted, text!("ask-noun-count"), self.line, self.reply);
                self.reply.understood.push(counted_text(n, Counted::Unsaid));
                self.unplaced.push(Quantity::length(second, from, to));
            }
            Some(n)
                if counts
                    && !takes_two
                    && !self.parsed.oval
                    && self.parsed.count.is_none()
                    && a.mm > b.mm =>
            {
                let why = text!(
                    "ask-parsed-oval-by-or-write-oval",
                    mm = caliper_number(a.mm, habits.unit),
                    mm2 = caliper(b.mm, habits.unit),
                    n,
                    text = text.trim()
                );
                self.reply.unclear.push(Unclear { from, to, text, why, instead: vec![], holds_back: true });
            }
            _ => {
                let (long, short) = (a.mm.max(b.mm), a.mm.min(b.mm));
                self.note(
                    token,
                    text!(
                        "ask-parsed-inside",
                        long = caliper_number(long, habits.unit),
                        short = caliper(short, habits.unit)
                    ),
                );
                self.parsed.oval |= long > short;
                once(
                    &mut self.parsed.inside_mm,
                    ParsedAt { value: long, from, to },
                    text!("ask-noun-inside"),
                    self.line,
                    self.reply,
                );
                self.parsed.short_mm = Some(ParsedAt { value: short, from, to });
            }
        }
    }

    fn length(&mut self, token: &Token, typed: Typed, role: Role) {
        let Token { from, to, .. } = *token;
        let reading = match length::understand(typed, self.workshop.habits) {
            Err(sentence) => return self.reply.faults.push(Fault::new("text", sentence)),
            Ok(reading) => reading,
        };
        let value = reading.mm;
        let given = ParsedAt { value, from, to };
        let gauge = matches!(typed, Typed::Gauge(..) | Typed::BareGauge(_));
        let bare = matches!(typed, Typed::Bare(_));
        let sizes_wire = gauge || value <= THICKEST_MM && !bare;
        let (slot, noun) = match role {
            Role::Inside => (&mut self.parsed.inside_mm, text!("ask-noun-inside")),
            Role::Outside => (&mut self.parsed.outside_mm, text!("ask-noun-outside")),
            // `10 ft wire` is so much of it; `from 16 ga` and `from 1 mm` are the wire.
            Role::Wire | Role::From if sizes_wire => {
                (&mut self.parsed.size_mm, text!("ask-parsed-wire-size"))
            }
            Role::Wire | Role::From if !bare => (&mut self.parsed.supply_mm, text!("ask-parsed-length-wire")),
            // `.040 wire` is inches, `18 wire` a gauge.
            Role::Wire if bare => {
                let Typed::Bare(n) = typed else { return };
                return self.length(token, place::bare_wire(n), role);
            }
            Role::Wire | Role::From | Role::Unsaid => {
                self.unplaced.push(Quantity::length(typed, from, to));
                return;
            }
        };
        once(slot, given, noun, self.line, self.reply);
        let of_wire = matches!(role, Role::Wire | Role::From) && sizes_wire;
        self.note(token, if of_wire { reading.text.clone() } else { plainly(value) });
        self.reply.assumed.extend(reading.note.clone());
        self.parsed.readings.push(reading);
    }
}

/// A count in words.
fn counted_text(n: f64, counted: Counted) -> String {
    match counted {
        Counted::Rings if n == 1.0 => text!("ask-parsed-1-ring").to_owned(),
        Counted::Rings => text!("ask-parsed-rings", n),
        Counted::Pairs if n == 1.0 => text!("ask-parsed-1-pair").to_owned(),
        Counted::Pairs => text!("ask-parsed-pairs", n),
        Counted::Pieces | Counted::Unsaid => text!("ask-parsed-make", n),
    }
}
