//! A listing cut into what it says, word by word; nothing is weighed yet.

use super::vocabulary::{EACH, FILLERS, PACK_OF, PACKS, SIGNS, SURFACES};
use crate::reading::{self, Either, Word};
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::Section;
use crate::words::gauge::{GaugeSystem, MM_PER_INCH};
use crate::words::number::{Separated, separated};
use crate::words::{mass, number};

/// A quantity as it stands in the line.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct Quantity {
    /// Its number, in the unit of `scale`.
    pub number: Separated,
    /// Millimetres or grams in one of its unit.
    pub scale: f64,
    /// As it was written.
    pub text: String,
}

impl Quantity {
    /// Its value in mm or g.
    pub fn value(&self) -> f64 {
        self.number.value * self.scale
    }
}

/// What a price is for.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(super) enum Per {
    /// So many millimetres.
    Length(f64),
    /// So many grams.
    Mass(f64),
    /// One of several packs.
    Each,
}

/// A price as it stands in the line.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct Price {
    pub number: Separated,
    pub currency: Option<&'static str>,
    pub text: String,
}

/// A gauge; its system where that is said.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(super) struct SaidGauge {
    pub number: i32,
    pub system: Option<GaugeSystem>,
}

/// Everything a line says, in the order it says it.
#[derive(Debug, Default)]
pub(super) struct Parsed {
    pub metals: Vec<Metal>,
    pub either: Vec<&'static Either>,
    pub tempers: Vec<Temper>,
    pub sections: Vec<Section>,
    pub surfaces: Vec<(&'static str, &'static str)>,
    pub gauges: Vec<SaidGauge>,
    /// Lengths small enough to be a size, and those said to be one.
    pub sizes: Vec<Quantity>,
    pub lengths: Vec<Quantity>,
    pub masses: Vec<Quantity>,
    /// Ounces that are not said to be troy.
    pub ounces: Vec<Quantity>,
    /// `20g` written together: a gauge, or grams.
    pub mass_or_gauge: Vec<f64>,
    /// Two sizes with an x between: a flat wire.
    pub flat: Option<String>,
    pub prices: Vec<Price>,
    pub per: Option<Per>,
    /// A currency that stands apart from any number.
    pub currency: Option<&'static str>,
    /// Number of packs: `x 3`.
    pub packs: Vec<f64>,
    /// Numbers that nothing says anything of.
    pub bare: Vec<(Separated, String)>,
    pub unclear: Vec<String>,
}

const LENGTH_UNITS: &[(f64, &[&str])] = &[
    (1.0, &["mm", "millimetre", "millimeter", "millimetres", "millimeters", "milimetros"]),
    (10.0, &["cm"]),
    (
        1000.0,
        &[
            "m", "m.", "meter", "metre", "metres", "meters", "mètre", "mètres", "metro", "metros", "mtr",
            "mtrs", "lfm",
        ],
    ),
    (MM_PER_INCH, &["inches", "inch", "in.", "in", "\"", "''", "zoll"]),
    (MM_PER_INCH * 12.0, &["ft", "ft.", "feet", "foot", "'", "pieds", "fuß", "pies"]),
    (MM_PER_INCH * 36.0, &["yd", "yds", "yards", "yard"]),
];
/// Largest size of wire sold by the piece, mm; a longer length is how much of it there is.
const LARGEST_SIZE_MM: f64 = 13.0;

/// One way of writing for each sign, so that the rest need know only that.
fn tidied(line: &str) -> String {
    let mut tidy = String::new();
    let chars: Vec<char> = line.chars().collect();
    for (i, c) in chars.iter().enumerate() {
        let digit = |at: Option<usize>| at.and_then(|at| chars.get(at)).is_some_and(char::is_ascii_digit);
        match c {
            ',' if digit(i.checked_sub(1)) && digit(Some(i + 1)) => tidy.push(','),
            ',' | ';' | '|' | '(' | ')' | '[' | ']' | ':' | '=' | '+' | '\t' => tidy.push(' '),
            '×' | '*' => tidy.push('x'),
            '½' if digit(i.checked_sub(1)) => tidy.push_str(".5"),
            '¼' if digit(i.checked_sub(1)) => tidy.push_str(".25"),
            '¾' if digit(i.checked_sub(1)) => tidy.push_str(".75"),
            '”' | '“' | '″' => tidy.push('"'),
            '′' | '’' => tidy.push('\''),
            c => tidy.push(*c),
        }
    }
    tidy
}

/// Cuts a line, in lower case, into what it says.
pub(super) fn read(line: &str) -> Parsed {
    let tidy = tidied(line);
    let mut parsed = Parsed::default();
    let mut rest = tidy.trim_start();
    while !rest.is_empty() {
        rest = parsed.next(rest).trim_start();
    }
    parsed
}

fn word_ends(rest: &str) -> bool {
    !rest.starts_with(char::is_alphanumeric)
}

/// Takes a word off the front, if it stands there whole.
fn take<'a>(rest: &'a str, word: &str) -> Option<&'a str> {
    rest.strip_prefix(word).filter(|after| word_ends(after) || word.ends_with(|c: char| !c.is_alphanumeric()))
}

/// The longest of some words that stands at the front, and what it means.
fn longest<'a, T: Copy>(rest: &'a str, table: &[(T, &[&str])]) -> Option<(T, &'a str)> {
    let all = table.iter().flat_map(|(meaning, words)| words.iter().map(move |word| (*meaning, *word)));
    let progress = all.filter_map(|(meaning, word)| Some((word.len(), meaning, take(rest, word)?)));
    progress.max_by_key(|(length, ..)| *length).map(|(_, meaning, after)| (meaning, after))
}

fn any<'a>(rest: &'a str, words: &[&str]) -> Option<&'a str> {
    words.iter().filter_map(|word| take(rest, word)).min_by_key(|after| after.len())
}

/// A number at the front: `5`, `1,0`, `.032`, `1/2`, `1 1/2`.
fn number(rest: &str) -> Option<(Separated, &str)> {
    let mut fraction = rest;
    if let Ok(amount) = number::amount(&mut fraction)
        && amount.fraction
    {
        return Some((Separated { value: amount.value, thousands: None }, fraction));
    }
    separated(rest)
}

impl Parsed {
    /// Understands what stands at the front; gives the rest.
    fn next<'a>(&mut self, rest: &'a str) -> &'a str {
        let taken = self.priced(rest).or_else(|| self.named(rest)).or_else(|| self.counted(rest));
        if let Some(after) = taken.or_else(|| self.quantity(rest)).or_else(|| any(rest, FILLERS)) {
            return after;
        }
        let end = rest.find(char::is_whitespace).unwrap_or(rest.len());
        let word = rest[..end].trim_matches(|c: char| !c.is_alphanumeric());
        if !word.is_empty() {
            self.unclear.push(word.to_owned());
        }
        &rest[end..]
    }

    /// A word for a metal, temper, section or surface.
    fn named<'a>(&mut self, rest: &'a str) -> Option<&'a str> {
        for (word, note, names) in SURFACES {
            if let Some(after) = any(rest, names) {
                self.surfaces.push((word, note));
                return Some(after);
            }
        }
        let mut after = rest;
        let word = reading::phrase(&mut after).ok()?;
        // 999 pieces and 925 grams are numbers.
        let counts = |behind: &str| mass::unit(&mut behind.trim_start()).is_ok();
        match word {
            Word::Metal(_) if number(rest).is_some_and(|(_, behind)| counts(behind)) => return None,
            Word::Metal(metal) => {
                // `annealed steel` says its temper in the same breath.
                let first = rest.split(' ').next().unwrap_or_default();
                if let Some(Word::Temper(temper)) = reading::exactly(first) {
                    self.tempers.push(temper);
                }
                self.metals.push(metal);
            }
            Word::Either(either) => self.either.push(either),
            Word::Temper(temper) => self.tempers.push(temper),
            Word::Section(section) => self.sections.push(section),
            Word::Surface(_) => {}
            Word::Winding(_) | Word::Method(_) | Word::Filed => return None,
        }
        Some(after)
    }

    /// A price: its sign before or behind it, and what it is for.
    fn priced<'a>(&mut self, rest: &'a str) -> Option<&'a str> {
        if let Some((sign, after)) = longest(rest, SIGNS) {
            let Some((number, end)) = number(after.trim_start()) else {
                self.currency.get_or_insert(sign);
                return Some(self.per(after));
            };
            let text = rest[..rest.len() - end.len()].to_owned();
            self.prices.push(Price { number, currency: Some(sign), text });
            return Some(self.per(end));
        }
        let (number, after) = number(rest)?;
        let text = || rest[..rest.len() - after.len()].to_owned();
        // In `x 3 $42` the sign belongs to what it touches.
        let behind = longest(after.trim_start(), SIGNS)
            .filter(|(_, end)| !end.starts_with(|c: char| c.is_ascii_digit()));
        if let Some((sign, end)) = behind {
            self.prices.push(Price { number, currency: Some(sign), text: text() });
            return Some(self.per(end));
        }
        // `2.50/ft` has no sign, and can be nothing but a price.
        let slashed = after.strip_prefix('/').is_some_and(|unit| longest(unit, LENGTH_UNITS).is_some());
        if slashed {
            self.prices.push(Price { number, currency: None, text: text() });
            return Some(self.per(after));
        }
        None
    }

    /// `/ft`, `per m`, `le mètre`, `each` behind a price: what it is for.
    fn per<'a>(&mut self, rest: &'a str) -> &'a str {
        let trimmed = rest.trim_start();
        if let Some(after) = any(trimmed, EACH) {
            self.per = Some(Per::Each);
            return after;
        }
        let leads = ["/ ", "/", "per ", "pro ", "par ", "por ", "le ", "la ", "el ", "je ", "a "];
        let Some(unit) = leads.iter().find_map(|lead| trimmed.strip_prefix(lead)) else { return rest };
        // `per 100 g`: of so many.
        let (many, unit) =
            number(unit).map_or((1.0, unit), |(many, behind)| (many.value, behind.trim_start()));
        if let Some((mm, after)) = longest(unit, LENGTH_UNITS) {
            self.per = Some(Per::Length(many * mm));
            return after;
        }
        let mut after = unit;
        if let Ok(grams) = mass::unit(&mut after) {
            self.per = Some(Per::Mass(many * grams));
            return after;
        }
        rest
    }

    /// How many packs: `x 3`, `3 x`, `pack of 3`, `3 coils`.
    fn counted<'a>(&mut self, rest: &'a str) -> Option<&'a str> {
        let whole = |rest: &'a str| {
            let (number, after) = number(rest.trim_start())?;
            let n = number.value;
            (n.fract() == 0.0 && (1.0..=10_000.0).contains(&n)).then_some((n, after))
        };
        // What follows a count is no unit: `x 3`, not `x 3 m`.
        let alone =
            |after: &str| unit_of(after).is_none() && !after.starts_with(['/', '.']) && word_ends(after);
        if let Some((n, after)) = any(rest, PACK_OF).and_then(whole).filter(|(_, after)| alone(after)) {
            self.packs.push(n);
            return Some(after);
        }
        let times = rest
            .strip_prefix('x')
            .filter(|after| after.starts_with(|c: char| c == ' ' || c.is_ascii_digit()));
        if let Some((n, after)) = times.and_then(whole).filter(|(_, after)| alone(after)) {
            self.packs.push(n);
            return Some(after);
        }
        let (n, after) = whole(rest)?;
        if let Some(end) = any(after.trim_start(), PACKS) {
            self.packs.push(n);
            return Some(end);
        }
        // `3 x 1 m`: three of a metre; `2 x 1 mm` is a flat wire.
        let behind = after.trim_start().strip_prefix('x')?.trim_start();
        let (_, unit) = number(behind)?;
        let sold = longest(unit.trim_start(), LENGTH_UNITS).map(|(mm, _)| mm);
        let mass = mass::unit(&mut unit.trim_start()).is_ok();
        if mass || sold.is_some_and(|mm| mm > 1.0) {
            self.packs.push(n);
            return Some(behind);
        }
        None
    }

    /// A number with what it counts: a size, a length, a weight.
    fn quantity<'a>(&mut self, rest: &'a str) -> Option<&'a str> {
        let before = ["ø", "⌀", "dia.", "dia ", "cal.", "calibre ", "no. ", "nr. ", "mm ", "mm"];
        let sized = before.iter().find_map(|sign| Some((*sign, rest.strip_prefix(sign)?)));
        let (number, after) = number(sized.map_or(rest, |(_, behind)| behind).trim_start())?;
        let unit = after.trim_start();
        let written = |end: &str| rest[..rest.len() - end.len()].trim().to_owned();
        if let Some(end) = self.gauge(number.value, unit, rest.starts_with("cal")) {
            return Some(end);
        }
        if let Some((scale, end)) = longest(unit, LENGTH_UNITS) {
            let quantity = Quantity { number, scale, text: written(end) };
            // `2 x 1 mm`: flat wire.
            if let Some(second) =
                end.trim_start().strip_prefix('x').and_then(|rest| self::number(rest.trim_start()))
                && quantity.value() <= LARGEST_SIZE_MM
                && let Some((1.0, behind)) = longest(second.1.trim_start(), LENGTH_UNITS)
            {
                self.flat = Some(rest[..rest.len() - behind.len()].trim().to_owned());
                return Some(behind);
            }
            let small = scale == 1.0 && quantity.value() <= LARGEST_SIZE_MM
                || scale == MM_PER_INCH && number.value < 0.51;
            if small || sized.is_some() {
                self.sizes.push(quantity)
            } else {
                self.lengths.push(quantity)
            }
            return Some(end);
        }
        if let Some(end) = self.mass(rest, number, after) {
            return Some(end);
        }
        if sized.is_some() {
            self.sizes.push(Quantity { number, scale: 1.0, text: written(after) });
            return Some(after);
        }
        // `2 x 1 mm`: a flat wire whose first size has no unit.
        if let Some(second) = unit.strip_prefix('x').and_then(|rest| self::number(rest.trim_start()))
            && let Some((1.0, behind)) = longest(second.1.trim_start(), LENGTH_UNITS)
        {
            self.flat = Some(rest[..rest.len() - behind.len()].trim().to_owned());
            return Some(behind);
        }
        self.bare.push((number, written(after)));
        Some(self.per(after))
    }

    fn mass<'a>(&mut self, rest: &'a str, number: Separated, after: &'a str) -> Option<&'a str> {
        let mut end = after.trim_start();
        let grams = mass::unit(&mut end).ok()?;
        let text = rest[..rest.len() - end.len()].trim().to_owned();
        let together = !after.starts_with(' ') && grams == 1.0 && number.value.fract() == 0.0;
        if together && (10.0..=30.0).contains(&number.value) {
            self.mass_or_gauge.push(number.value);
        } else if grams == mass::OUNCE_G {
            self.ounces.push(Quantity { number, scale: grams, text });
        } else {
            self.masses.push(Quantity { number, scale: grams, text });
        }
        Some(end)
    }

    /// `20ga`, `20 awg`, `calibre 20`: a gauge, with its system where it is said.
    fn gauge<'a>(&mut self, value: f64, unit: &'a str, named: bool) -> Option<&'a str> {
        let systems = [
            (Some(GaugeSystem::Awg), &["awg", "b&s", "ga awg"][..]),
            (Some(GaugeSystem::Swg), &["swg", "ga swg"][..]),
            (Some(GaugeSystem::SteelWire), &["w&m", "steel wire gauge"][..]),
            (None, &["gauge", "ga.", "ga", "gg", "gge"][..]),
        ];
        let (system, end) = longest(unit, &systems).or_else(|| named.then_some((None, unit)))?;
        if value.fract() != 0.0 || !(0.0..=40.0).contains(&value) {
            return None;
        }
        #[expect(clippy::cast_possible_truncation, reason = "0 to 40")]
        let number = value as i32;
        // Its system may still follow: `20 gauge (AWG)`.
        let follows = [(GaugeSystem::Awg, &["awg", "b&s"][..]), (GaugeSystem::Swg, &["swg"][..])];
        let (system, end) = match (system, longest(end.trim_start(), &follows)) {
            (None, Some((system, after))) => (Some(system), after),
            _ => (system, end),
        };
        self.gauges.push(SaidGauge { number, system });
        Some(end)
    }
}

/// The unit that follows a number, if one does.
fn unit_of(after: &str) -> Option<()> {
    let unit = after.trim_start();
    let mass = mass::unit(&mut &*unit).is_ok();
    let gauge = any(unit, &["awg", "swg", "ga", "gauge", "ga."]).is_some();
    let sign = longest(unit, SIGNS).is_some_and(|(_, end)| !end.starts_with(|c: char| c.is_ascii_digit()));
    (mass || gauge || sign || longest(unit, LENGTH_UNITS).is_some()).then_some(())
}
