//! Quantities that come without a word saying whose they are: each gets the one place it can have.
//!
//! Every way of giving all of them places is tried; each place has a price for being unlikely. The cheapest
//! way is taken, and said, where it is clearly the cheapest. Otherwise the quantities are pointed at.

use super::answer::Answer;
use super::line::{Line, Unclear};
use super::parsed::{Parsed, ParsedAt, plainly};
use super::token::{Counted, Question};
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::metal::{Metal, Temper};
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{self, LengthUnit, Reading, Typed, caliper};
use lorimant_text::text;

/// Most quantities without a word that are tried; a line with more is pointed at.
const MOST: usize = 6;
/// How much likelier one way must be than the next to be taken.
const CLEARLY: f64 = 0.9;

/// A quantity without a word, as it was typed.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(super) struct Quantity {
    pub written: Written,
    pub from: usize,
    pub to: usize,
}

#[derive(Debug, Clone, Copy, PartialEq)]
pub(super) enum Written {
    Length(Typed),
    MassOrGauge(f64),
}

impl Quantity {
    pub fn length(typed: Typed, from: usize, to: usize) -> Self {
        Self { written: Written::Length(typed), from, to }
    }

    pub fn mass_or_gauge(n: f64, from: usize, to: usize) -> Self {
        Self { written: Written::MassOrGauge(n), from, to }
    }
}

/// A place a quantity can have.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum Place {
    Count,
    Size,
    Inside,
    /// The pattern's parameter that a bare size means, by its place in that list.
    Sized(usize),
    Supply,
    SupplyMass,
    /// The whole piece is as large as this.
    Piece,
    /// Nothing is asked but what the length is in other units.
    Converted,
    /// No place is left for it: it is pointed at.
    Nowhere,
}

/// Price of having no place: more than any unlikely one.
pub(super) const NOWHERE: f64 = 10.0;

/// Gives every quantity its place, or points at it.
pub(super) fn place(
    quantities: Vec<Quantity>,
    line: &Line,
    workshop: &Workshop,
    parsed: &mut Parsed,
    reply: &mut Answer,
) {
    if quantities.is_empty() {
        return;
    }
    let placing = Placing::new(parsed, &quantities, line, workshop);
    let open = placing.open();
    let mut ways: Vec<(f64, Vec<Place>)> = vec![];
    if quantities.len() <= MOST {
        placing.ways(&open, &mut vec![], 0.0, &mut ways);
    }
    ways.sort_by(|a, b| a.0.total_cmp(&b.0));
    let clear = match ways.as_slice() {
        [] => false,
        [_] => true,
        [first, second, ..] => second.0 - first.0 > CLEARLY,
    };
    match ways.first() {
        // Of several that may be left over, all are pointed at.
        Some((_, best)) if clear => {
            let settled: Vec<(Quantity, Place, f64)> = quantities
                .iter()
                .zip(best)
                .map(|(quantity, place)| (*quantity, *place, placing.value(quantity, *place)))
                .collect();
            for (quantity, place, value) in settled {
                settle(quantity, place, value, line, workshop, parsed, reply);
            }
        }
        _ => {
            // Only those whose place differs between the likeliest ways are in doubt.
            let near: Vec<&Vec<Place>> =
                ways.iter().filter(|way| way.0 - ways[0].0 <= CLEARLY).map(|way| &way.1).collect();
            for (i, quantity) in quantities.iter().enumerate() {
                let same = near.windows(2).all(|pair| pair[0].get(i) == pair[1].get(i));
                if near.is_empty() || !same {
                    reply.unclear.push(pointed(quantity, line, parsed, workshop));
                }
            }
        }
    }
}

fn pointed(quantity: &Quantity, line: &Line, parsed: &Parsed, workshop: &Workshop) -> Unclear {
    let Quantity { from, to, written } = *quantity;
    let text = line.typed(from, to);
    let words = text.trim();
    let what = match written {
        Written::MassOrGauge(n) => text!("ask-place-gauge-or-grams-write-ga", n),
        Written::Length(typed) => {
            let reading = length::understand(typed, workshop.habits);
            let mm = reading.map_or_else(|_| words.to_owned(), |r| caliper(r.mm, workshop.habits.unit));
            let bare = matches!(typed, Typed::Bare(_));
            match parsed.pattern.as_ref().map(|kind| kind.value) {
                Some(kind) => {
                    let labels: Vec<&str> =
                        kind.0.parameters.iter().map(|p| p.label.as_str()).take(4).collect();
                    text!("ask-place-what-put-its-word-before", words, labels = labels.join(" …, "))
                }
                None if bare => {
                    text!("ask-place-what-write-rings-ga-or", words)
                }
                None if parsed.size_mm.is_some() && parsed.inside_mm.is_some() => {
                    text!("ask-place-what-line-already-has-its", mm)
                }
                None => text!("ask-place-what-write-wire-or-inside", mm, words),
            }
        }
    };
    Unclear { from, to, text, why: what, instead: vec![], holds_back: true }
}

pub(super) struct Placing<'a> {
    pub parsed: &'a Parsed,
    quantities: &'a [Quantity],
    pub text: String,
    workshop: &'a Workshop,
}

impl<'a> Placing<'a> {
    fn new(parsed: &'a Parsed, quantities: &'a [Quantity], line: &'a Line, workshop: &'a Workshop) -> Self {
        let text = line.typed(0, usize::MAX).to_lowercase();
        Self { parsed, quantities, text, workshop }
    }

    fn rings(&self) -> bool {
        self.parsed.ring_like()
    }

    /// The places nothing has yet.
    fn open(&self) -> Vec<Place> {
        let parsed = self.parsed;
        let mut open = vec![];
        let made = self.made();
        if !made && parsed.metal.is_none() && !parsed.asks(Question::WhatCanIMake) {
            // Nothing is asked but what a size is in other units: one size.
            return if parsed.readings.is_empty() { vec![Place::Converted] } else { vec![] };
        }
        if made && parsed.count.is_none() {
            open.push(Place::Count);
        }
        if parsed.size_mm.is_none() {
            open.push(Place::Size);
        }
        if self.rings()
            && parsed.inside_mm.is_none()
            && parsed.outside_mm.is_none()
            && parsed.rod.is_none()
            && parsed.ratio.is_none()
        {
            open.push(Place::Inside);
        }
        if let Some(kind) = &parsed.pattern {
            let sized = kind.value.0.sized_by.iter().enumerate();
            let over = |name: &str| name == "cord_mm" && parsed.over_mm.is_some();
            let free = sized.filter(|(_, name)| !parsed.parameters.contains_key(**name) && !over(name));
            open.extend(free.map(|(i, _)| Place::Sized(i)));
            open.push(Place::Piece);
        }
        if parsed.supply_mm.is_none() && parsed.supply_g.is_none() {
            open.push(Place::Supply);
            open.push(Place::SupplyMass);
        }
        open
    }

    /// Every way of giving the quantities from here on a place, with its price.
    fn ways(&self, open: &[Place], taken: &mut Vec<Place>, price: f64, ways: &mut Vec<(f64, Vec<Place>)>) {
        let Some(quantity) = self.quantities.get(taken.len()) else {
            if let Some(more) = self.together(taken) {
                ways.push((price + more, taken.clone()));
            }
            return;
        };
        for place in open.iter().chain([&Place::Nowhere]) {
            if taken.contains(place) && *place != Place::Nowhere {
                continue;
            }
            if let Some(more) = self.price(taken.len(), quantity, *place) {
                taken.push(*place);
                self.ways(open, taken, price + more, ways);
                taken.pop();
            }
        }
    }

    /// What a quantity would be worth at a place: mm, g, or a count.
    pub(super) fn value(&self, quantity: &Quantity, place: Place) -> f64 {
        match (quantity.written, place) {
            (Written::MassOrGauge(n), Place::Size) => self.mm(as_gauge(n)),
            (Written::MassOrGauge(n), _) => n,
            (Written::Length(Typed::Bare(n)), Place::Count) => n,
            (Written::Length(Typed::Bare(n)), Place::Size) => match bare_size(n) {
                BareSize::Gauge => self.mm(as_gauge(n)),
                BareSize::Inch => n * MM_PER_INCH,
                BareSize::Mm => n,
            },
            (Written::Length(typed), _) => self.mm(typed),
        }
    }

    fn mm(&self, typed: Typed) -> f64 {
        length::understand(typed, self.workshop.habits).map_or(f64::NAN, |reading| reading.mm)
    }

    /// What stands directly before and after a quantity, as typed.
    pub(super) fn beside(&self, quantity: &Quantity) -> (&str, &str) {
        let at = |place: usize| self.text.char_indices().nth(place).map_or(self.text.len(), |(i, _)| i);
        let before = self.text[..at(quantity.from)].trim_end_matches(|c: char| !c.is_alphabetic());
        let after = self.text[at(quantity.to)..].trim_start_matches(|c: char| !c.is_alphanumeric());
        let word = |text: &'_ str| text.rfind(|c: char| !c.is_alphabetic()).map_or(0, |i| i + 1);
        let first = after.find(|c: char| !c.is_alphabetic()).unwrap_or(after.len());
        (&before[word(before)..], &after[..first])
    }

    pub(super) fn made(&self) -> bool {
        self.rings() || self.parsed.pattern.is_some()
    }

    pub(super) fn parameter(&self, at: usize) -> Option<&'static crate::pattern::Parameter> {
        let kind = self.parsed.pattern.as_ref()?.value;
        kind.0.parameter(kind.0.sized_by.get(at)?)
    }

    /// Price of places that go badly together; none where they cannot: a ring smaller than its own wire.
    fn together(&self, taken: &[Place]) -> Option<f64> {
        let at = |place: Place| {
            let i = taken.iter().position(|one| *one == place)?;
            Some(self.value(&self.quantities[i], place))
        };
        let size = at(Place::Size).or(self.parsed.size_mm.as_ref().map(|given| given.value));
        let inside = at(Place::Inside).or(self.parsed.inside_mm.as_ref().map(|given| given.value));
        let (Some(size), Some(inside)) = (size, inside) else { return Some(0.0) };
        let ratio = inside / size;
        if ratio < 1.0 && taken.contains(&Place::Inside) {
            return None;
        }
        // Jump rings run from about 2 to 15 wire thicknesses inside.
        Some(if ratio < 2.0 {
            1.5
        } else if ratio > 20.0 {
            1.0
        } else {
            0.0
        })
    }
}

/// What a bare number for a wire size is read as.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum BareSize {
    Gauge,
    Mm,
    Inch,
}

/// Whole numbers are gauges, `.040` is inches, `0.8` is millimetres: no wire is 0.04 mm.
pub(super) fn bare_size(n: f64) -> BareSize {
    if n.fract() == 0.0 {
        BareSize::Gauge
    } else if n < 0.2 {
        BareSize::Inch
    } else {
        BareSize::Mm
    }
}

/// A bare number that is said to be of the wire.
pub(super) fn bare_wire(n: f64) -> Typed {
    match bare_size(n) {
        BareSize::Gauge => as_gauge(n),
        BareSize::Inch => Typed::Mm(n * MM_PER_INCH),
        BareSize::Mm => Typed::Mm(n),
    }
}

#[expect(clippy::cast_possible_truncation, reason = "a gauge is a small whole number; others have no size")]
fn as_gauge(n: f64) -> Typed {
    Typed::BareGauge(n as i32)
}

/// Puts a quantity in its place and says so.
fn settle(
    quantity: Quantity,
    place: Place,
    value: f64,
    line: &Line,
    workshop: &Workshop,
    parsed: &mut Parsed,
    reply: &mut Answer,
) {
    let Quantity { from, to, written } = quantity;
    let text = line.typed(from, to);
    let text = text.trim();
    let reading = || -> Option<Reading> {
        match (written, place) {
            (Written::MassOrGauge(n), _) => length::understand(as_gauge(n), workshop.habits).ok(),
            (Written::Length(Typed::Bare(n)), Place::Size) if bare_size(n) == BareSize::Gauge => {
                length::understand(as_gauge(n), workshop.habits).ok()
            }
            (Written::Length(Typed::Bare(_)), Place::Size) => {
                length::understand(Typed::Mm(value), workshop.habits).ok()
            }
            (Written::Length(typed), _) => length::understand(typed, workshop.habits).ok(),
        }
    };
    // The workshop's unit for bare numbers is said where it is not plain.
    let unit_said = |reading: &Reading| match written {
        Written::Length(Typed::Bare(_)) if workshop.habits.unit == LengthUnit::Inch => reading.note.clone(),
        Written::Length(Typed::Fraction(_)) => reading.note.clone(),
        _ => None,
    };
    match place {
        Place::Count => {
            let counted = if parsed.pattern.is_some() {
                text!("count-piece", n = value)
            } else {
                text!("count-ring", n = value)
            };
            reply.understood.push(format!("{text}: {counted}"));
            reply.assumed.push(text!("ask-place-read-as-how-many", text, counted));
            parsed.count = Some(ParsedAt { value: (value, Counted::Unsaid), from, to });
        }
        Place::Size => {
            let reading = reading();
            if let Some(reading) = &reading {
                let size = Wire::round(Metal::Copper, reading.mm, Temper::Soft);
                let size = size.size_shown(workshop.habits.unit);
                reply.understood.push(text!("ask-place-wire", text, text2 = size));
                reply.assumed.extend(reading.note.clone());
                if matches!(written, Written::Length(Typed::Bare(n)) if bare_size(n) == BareSize::Inch) {
                    reply.assumed.push(text!("ask-place-read-as-inches-no-wire", text));
                }
                parsed.readings.push(reading.clone());
            }
            parsed.size_mm = Some(ParsedAt { value, from, to });
        }
        Place::Inside => {
            reply.understood.push(text!("ask-place-ring-inside", plainly = plainly(value)));
            reply
                .assumed
                .push(text!("ask-place-read-as-inside-ring", unit = caliper(value, workshop.habits.unit)));
            reply.assumed.extend(reading().as_ref().and_then(unit_said));
            parsed.inside_mm = Some(ParsedAt { value, from, to });
        }
        Place::Sized(at) => {
            let parameter = parsed.pattern.as_ref().and_then(|kind| {
                let kind = kind.value;
                kind.0.parameter(kind.0.sized_by.get(at)?)
            });
            if let Some(parameter) = parameter {
                reply.understood.push(format!("{} {}", parameter.label, plainly(value)));
                reply.assumed.push(text!(
                    "ask-place-read-as",
                    unit = caliper(value, workshop.habits.unit),
                    label = parameter.label
                ));
                reply.assumed.extend(reading().as_ref().and_then(unit_said));
                parsed.parameters.insert(parameter.name.to_owned(), ParsedAt { value, from, to });
            }
        }
        Place::Piece => {
            let size = caliper(value, workshop.habits.unit);
            reply.understood.push(text!("ask-place-whole-piece", text));
            reply.assumed.push(text!("ask-place-read-as-size-piece-write", size, text));
            parsed.piece_mm = Some(ParsedAt { value, from, to });
        }
        Place::Supply => {
            reply.understood.push(text!("ask-place-wire-you-have", text));
            if matches!(written, Written::Length(Typed::Bare(_) | Typed::Fraction(_))) {
                reply.assumed.push(text!("ask-place-wire-you-have", text));
            }
            parsed.supply_mm = Some(ParsedAt { value, from, to });
        }
        Place::SupplyMass => {
            reply.understood.push(format!("{value} g"));
            reply.assumed.push(text!("ask-place-read-as-grams", text, value));
            parsed.supply_g = Some(ParsedAt { value, from, to });
        }
        Place::Converted => {
            let reading = reading();
            let bare = matches!(written, Written::Length(Typed::Bare(_) | Typed::Fraction(_)));
            if bare && reading.as_ref().is_some_and(|reading| reading.note.is_none()) {
                let unit = workshop.habits.unit.shown();
                reply.assumed.push(text!("ask-place-no-unit-read-in", text, unit));
            }
            parsed.readings.extend(reading);
        }
        Place::Nowhere => reply.unclear.push(pointed(&quantity, line, parsed, workshop)),
    }
}
