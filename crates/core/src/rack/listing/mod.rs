//! A shop's listing, read: metal, section, temper, size, quantity and price in any order and a few
//! languages; what is missing or doubtful is said, never guessed.

mod vocabulary;

use rust_decimal::Decimal;
use rust_decimal::prelude::FromPrimitive as _;
use serde::Serialize;

use crate::wire::Wire;
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::Section;
use crate::words::gauge::{Gauge, GaugeSystem, MM_PER_INCH};
use crate::words::length::{Habits, shown};
use vocabulary::{EITHER, FILLERS, METALS, SECTIONS, SURFACES, TEMPERS};

/// Grams in an avoirdupois ounce, and in a troy ounce.
const OUNCE_G: f64 = 28.349_523_125;
const TROY_OUNCE_G: f64 = 31.103_476_8;
/// Longest line read, characters.
const LONGEST: usize = 300;

/// What a listing sells, as far as it says.
#[derive(Debug, Clone, PartialEq, Default, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Listing {
    /// Metal.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub metal: Option<Metal>,
    /// Section.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub section: Option<Section>,
    /// Temper.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub temper: Option<Temper>,
    /// Size, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub size_mm: Option<f64>,
    /// `plated` or `coated`, where it says so.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub surface: Option<&'static str>,
    /// Length sold, mm; worked out from the weight where that is given.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub length_mm: Option<f64>,
    /// Weight sold, g; worked out from the length where that is given.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub mass_g: Option<f64>,
    /// Price of what is sold, as a decimal number.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub price: Option<Decimal>,
    /// Currency, as it was written.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub currency: Option<String>,
    /// Price of a metre.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub per_metre: Option<Decimal>,
    /// Price of a gram.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub per_gram: Option<Decimal>,
    /// What the listing does not say, in sentences.
    pub missing: Vec<String>,
    /// What it says in more than one way to read, in sentences.
    pub doubtful: Vec<String>,
    /// Words that are not known.
    pub unclear: Vec<String>,
}

/// What a price is for.
#[derive(Debug, Clone, Copy, PartialEq)]
enum Per {
    Metre(f64),
    Gram(f64),
}

/// Reads a listing.
pub fn decode(text: &str, habits: Habits) -> Listing {
    let mut reader =
        Reader { said: Listing::default(), habits, gauge: None, ounces: None, per: None, either: None };
    let line: String = text.chars().take(LONGEST).collect::<String>().to_lowercase();
    reader.read(&tidied(&line));
    reader.finish()
}

impl Listing {
    /// Price of so much wire, to a hundredth of the smallest coin; none where the price or the quantity
    /// is not known.
    pub fn price_of(&self, length_mm: f64) -> Option<Decimal> {
        let metres = Decimal::from_f64(length_mm / 1000.0)?;
        Some((self.per_metre? * metres).round_dp(4))
    }

    /// The wire it sells, where metal and size are known; soft and round where it does not say.
    pub fn wire(&self) -> Option<Wire> {
        Some(Wire {
            metal: self.metal?,
            section: self.section.unwrap_or(Section::Round),
            size_mm: self.size_mm?,
            temper: self.temper.unwrap_or(Temper::Soft),
        })
    }
}

/// One way of writing for each sign, so that the rest need know only that.
fn tidied(line: &str) -> String {
    let mut tidy = String::new();
    let chars: Vec<char> = line.chars().collect();
    for (i, c) in chars.iter().enumerate() {
        let digit = |at: Option<usize>| at.and_then(|at| chars.get(at)).is_some_and(char::is_ascii_digit);
        match c {
            // A comma between digits is a decimal comma, unless three digits follow it.
            ',' if digit(i.checked_sub(1)) && digit(Some(i + 1)) => {
                let digits = chars[i + 1..].iter().take_while(|c| c.is_ascii_digit()).count();
                tidy.push_str(if digits == 3 { "" } else { "." });
            }
            ',' | ';' | '|' | '(' | ')' | '[' | ']' | ':' | '*' | '=' | '+' | '\t' => tidy.push(' '),
            '½' if digit(i.checked_sub(1)) => tidy.push_str(".5"),
            '¼' if digit(i.checked_sub(1)) => tidy.push_str(".25"),
            '”' | '“' | '″' => tidy.push('"'),
            '′' | '’' => tidy.push('\''),
            c => tidy.push(*c),
        }
    }
    tidy
}

struct Reader {
    said: Listing,
    habits: Habits,
    /// A gauge whose system is not said.
    gauge: Option<i32>,
    /// Ounces that are not said to be troy.
    ounces: Option<f64>,
    per: Option<Per>,
    /// What a word for several metals may be.
    either: Option<&'static str>,
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
    let standing = all.filter_map(|(meaning, word)| Some((word.len(), meaning, take(rest, word)?)));
    standing.max_by_key(|(length, ..)| *length).map(|(_, meaning, after)| (meaning, after))
}

/// A number at the front: `5`, `1.0`, `.032`, `1/2`, `1 1/2`.
fn number(rest: &str) -> Option<(f64, &str)> {
    let plain = |rest: &str| -> Option<(f64, usize)> {
        let end = rest.find(|c: char| !c.is_ascii_digit() && c != '.').unwrap_or(rest.len());
        let digits = rest[..end].trim_end_matches('.');
        Some((digits.parse().ok()?, digits.len()))
    };
    let (whole, end) = plain(rest)?;
    let after = &rest[end..];
    if let Some((under, length)) = after.strip_prefix('/').and_then(plain).filter(|(under, _)| *under > 0.0) {
        return Some((whole / under, &after[1 + length..]));
    }
    let over = after.strip_prefix(' ').and_then(plain).map(|(over, n)| (over, &after[1 + n..]));
    if let Some((over, more)) = over
        && let Some((under, length)) =
            more.strip_prefix('/').and_then(plain).filter(|(under, _)| *under > 0.0)
    {
        return Some((whole + over / under, &more[1 + length..]));
    }
    Some((whole, after))
}

const LENGTH_UNITS: &[(f64, &[&str])] = &[
    (
        1000.0,
        &["m", "meter", "metre", "metres", "meters", "mètre", "mètres", "metro", "metros", "mtr", "lfm"],
    ),
    (10.0, &["cm"]),
    (MM_PER_INCH * 12.0, &["ft", "feet", "foot", "'", "pieds", "fuß", "pies"]),
    (MM_PER_INCH * 36.0, &["yd", "yds", "yards", "yard"]),
];
const MASS_UNITS: &[(f64, &[&str])] = &[
    (1.0, &["g", "gr", "gram", "grams", "gramm", "grammes", "gramos"]),
    (1000.0, &["kg", "kilo"]),
    (TROY_OUNCE_G, &["ozt", "oz t", "t oz", "troy oz", "troy ounce", "troy ounces", "oz troy"]),
    (TROY_OUNCE_G / 20.0, &["dwt", "pennyweight"]),
    (16.0 * OUNCE_G, &["lb", "lbs", "pound", "pounds"]),
];
const SIGNS: &[(&str, &[&str])] = &[
    ("EUR", &["€", "eur", "euro", "euros"]),
    ("USD", &["us$", "$", "usd"]),
    ("GBP", &["£", "gbp"]),
    ("CHF", &["chf", "sfr"]),
];

impl Reader {
    fn read(&mut self, line: &str) {
        let mut rest = line.trim_start();
        while !rest.is_empty() {
            rest = self.next(rest).trim_start();
        }
    }

    /// Understands what stands at the front; gives the rest.
    fn next<'a>(&mut self, rest: &'a str) -> &'a str {
        if let Some(after) = self.price_with_sign(rest) {
            return after;
        }
        // A half of something hard or round comes before a half of an inch; annealed steel is a metal.
        let metal = longest(rest, METALS);
        if let Some((temper, after)) = longest(rest, TEMPERS)
            && metal.is_none_or(|(_, behind)| behind.len() > after.len())
        {
            self.said.temper.get_or_insert(temper);
            return after;
        }
        if let Some((section, after)) = longest(rest, SECTIONS) {
            self.said.section.get_or_insert(section);
            return after;
        }
        if let Some((metal, after)) = metal {
            // 999 pieces and 925 grams are numbers.
            let counted =
                number(rest).is_some_and(|(_, behind)| longest(behind.trim_start(), MASS_UNITS).is_some());
            if !counted {
                self.said.metal.get_or_insert(metal);
                // `annealed steel` says its temper in the same breath.
                if let Some((temper, _)) = longest(rest, TEMPERS) {
                    self.said.temper.get_or_insert(temper);
                }
                return after;
            }
        }
        for (word, note, names) in SURFACES {
            if let Some(after) = names.iter().find_map(|name| take(rest, name)) {
                self.said.surface.get_or_insert(word);
                self.doubt(note);
                return after;
            }
        }
        if let Some((note, after)) = EITHER.iter().find_map(|(word, note)| Some((*note, take(rest, word)?))) {
            self.either.get_or_insert(note);
            return after;
        }
        if let Some(after) = self.quantity(rest) {
            return after;
        }
        if let Some(after) =
            FILLERS.iter().filter_map(|word| take(rest, word)).min_by_key(|after| after.len())
        {
            return after;
        }
        let end = rest.find(char::is_whitespace).unwrap_or(rest.len());
        let word = rest[..end].trim_matches(|c: char| !c.is_alphanumeric());
        if !word.is_empty() {
            self.said.unclear.push(word.to_owned());
        }
        &rest[end..]
    }

    fn doubt(&mut self, note: &str) {
        if !self.said.doubtful.iter().any(|said| said == note) {
            self.said.doubtful.push(note.to_owned());
        }
    }

    /// A number with what it counts: a size, a length, a weight, a price.
    fn quantity<'a>(&mut self, rest: &'a str) -> Option<&'a str> {
        let sized = ["ø", "⌀", "dia.", "cal.", "calibre ", "no. ", "nr. "]
            .iter()
            .find_map(|sign| rest.strip_prefix(sign));
        let (value, after) = number(sized.unwrap_or(rest).trim_start())?;
        let unit = after.trim_start();
        if let Some(end) = self.gauge_of(value, unit, rest.starts_with("cal")) {
            return Some(end);
        }
        if let Some(end) = take(unit, "mm") {
            if value <= 13.0 && self.said.size_mm.is_none() {
                self.said.size_mm = Some(value)
            } else {
                self.length(value)
            }
            return Some(end);
        }
        if let Some(end) = take(unit, "inches")
            .or_else(|| take(unit, "inch"))
            .or_else(|| take(unit, "in"))
            .or_else(|| take(unit, "\""))
            .or_else(|| take(unit, "zoll"))
        {
            let mm = value * MM_PER_INCH;
            if value < 0.51 && self.said.size_mm.is_none() {
                self.said.size_mm = Some(mm)
            } else {
                self.length(mm)
            }
            return Some(end);
        }
        if let Some((factor, end)) = longest(unit, LENGTH_UNITS) {
            self.length(value * factor);
            return Some(end);
        }
        if let Some((factor, end)) = longest(unit, MASS_UNITS) {
            self.mass(value, factor, after.starts_with(' ') || factor != 1.0);
            return Some(end);
        }
        if let Some(end) = take(unit, "oz").or_else(|| take(unit, "ounce")).or_else(|| take(unit, "ounces")) {
            self.ounces = Some(value);
            return Some(end);
        }
        if let Some((sign, end)) = longest(unit, SIGNS) {
            self.price(value, sign);
            return Some(self.unit_price(end));
        }
        if sized.is_some() {
            self.said.size_mm.get_or_insert(value);
            return Some(after);
        }
        // Two decimals and nothing behind: what is paid.
        let written = &rest[..rest.len() - after.len()];
        if written.split_once('.').is_some_and(|(_, decimals)| decimals.len() == 2)
            && self.said.price.is_none()
        {
            self.said.price = Decimal::from_f64(value).map(|price| price.round_dp(2));
            self.doubt(&format!("{written} is taken for the price; its currency is not said."));
            return Some(self.unit_price(after));
        }
        self.said.unclear.push(written.trim().to_owned());
        Some(after)
    }

    /// `20ga`, `20 awg`, `calibre 20`: a gauge, with its system where it is said.
    fn gauge_of<'a>(&mut self, value: f64, unit: &'a str, named: bool) -> Option<&'a str> {
        let systems = [
            (Some(GaugeSystem::Awg), &["awg", "b&s", "ga awg"][..]),
            (Some(GaugeSystem::Swg), &["swg", "ga swg"][..]),
            (None, &["gauge", "ga.", "ga", "gg"][..]),
        ];
        let found = systems.iter().flat_map(|(system, words)| words.iter().map(move |word| (*system, *word)));
        let found = found.filter_map(|(system, word)| Some((word.len(), system, take(unit, word)?)));
        let found = found.max_by_key(|(length, ..)| *length).map(|(_, system, end)| (system, end));
        let (system, end) = found.or_else(|| named.then_some((None, unit)))?;
        if value.fract() != 0.0 || !(0.0..=40.0).contains(&value) {
            return None;
        }
        #[expect(clippy::cast_possible_truncation, reason = "0 to 40")]
        let n = value as i32;
        match system {
            Some(system) => self.said.size_mm = Gauge::new(system, n).map(Gauge::mm).or(self.said.size_mm),
            // Its system may still follow: `20 gauge (AWG)`.
            None => match [("awg", GaugeSystem::Awg), ("swg", GaugeSystem::Swg)]
                .iter()
                .find_map(|(word, system)| Some((system, take(end.trim_start(), word)?)))
            {
                Some((system, after)) => {
                    self.said.size_mm = Gauge::new(*system, n).map(Gauge::mm);
                    return Some(after);
                }
                None => self.gauge = Some(n),
            },
        }
        Some(end)
    }

    fn length(&mut self, mm: f64) {
        self.said.length_mm.get_or_insert(mm);
    }

    fn mass(&mut self, value: f64, factor: f64, spaced: bool) {
        // `20g` written together may be a gauge.
        if !spaced
            && value.fract() == 0.0
            && (10.0..=30.0).contains(&value)
            && self.said.size_mm.is_none()
            && self.gauge.is_none()
        {
            self.doubt(&format!("“{value}g” may be a gauge or grams; it is read as neither."));
            return;
        }
        self.said.mass_g.get_or_insert(value * factor);
    }

    fn price(&mut self, value: f64, currency: &str) {
        self.said.price = Decimal::from_f64(value).map(|price| price.round_dp(4));
        self.said.currency = Some(currency.to_owned());
        let note = "is taken for the price";
        self.said.doubtful.retain(|said| !said.contains(note));
    }

    fn price_with_sign<'a>(&mut self, rest: &'a str) -> Option<&'a str> {
        let (sign, after) = longest(rest, SIGNS)?;
        match number(after.trim_start()) {
            Some((value, end)) => {
                self.price(value, sign);
                Some(self.unit_price(end))
            }
            // A currency behind a price that stood without one: `14,80 €` is read with the number.
            None => {
                self.said.currency.get_or_insert(sign.to_owned());
                Some(self.unit_price(after))
            }
        }
    }

    /// `/ft`, `per m`, `le mètre` behind a price: what it is for.
    fn unit_price<'a>(&mut self, rest: &'a str) -> &'a str {
        let trimmed = rest.trim_start();
        let leads = ["/ ", "/", "per ", "pro ", "par ", "por ", "le ", "la ", "el ", "je "];
        let Some(unit) = leads.iter().find_map(|lead| trimmed.strip_prefix(lead)) else { return rest };
        if let Some((mm, after)) = longest(unit, LENGTH_UNITS) {
            self.per = Some(Per::Metre(1000.0 / mm));
            return after;
        }
        if let Some((grams, after)) = longest(unit, MASS_UNITS) {
            self.per = Some(Per::Gram(1.0 / grams));
            return after;
        }
        rest
    }

    fn finish(mut self) -> Listing {
        self.settle_metal();
        self.settle_size();
        self.settle_quantity();
        self.settle_price();
        let said = &mut self.said;
        if said.temper.is_none() {
            said.missing.push("No temper is given: unlabelled wire is nearly always soft.".to_owned());
        }
        if said.section.is_none() {
            said.missing.push("No section is given: it is nearly always round.".to_owned());
        }
        self.said
    }

    fn settle_metal(&mut self) {
        match (self.said.metal, self.either) {
            (None, Some(note)) => self.doubt(note),
            (None, None) => self.said.missing.push("The metal is not said.".to_owned()),
            _ => {}
        }
    }

    fn settle_size(&mut self) {
        if let (None, Some(n)) = (self.said.size_mm, self.gauge) {
            let steel = self.said.metal.is_some_and(Metal::is_steel);
            let mut systems = vec![GaugeSystem::Awg, GaugeSystem::Swg];
            if steel {
                systems.push(GaugeSystem::SteelWire);
            }
            let sizes: Vec<String> = systems
                .iter()
                .filter_map(|system| {
                    Some(format!("{} mm in {}", shown(Gauge::new(*system, n)?.mm(), 3), system.shown()))
                })
                .collect();
            self.said.size_mm = Gauge::new(self.habits.gauge, n).map(Gauge::mm);
            let own = self.habits.gauge.shown();
            self.doubt(&format!("Gauge {n} of which system? It is {}; {own} is taken.", sizes.join(", ")));
        }
        if self.said.size_mm.is_none() {
            self.said.missing.push("The size is not said.".to_owned());
        }
    }

    fn settle_quantity(&mut self) {
        if let (None, Some(ounces)) = (self.said.mass_g, self.ounces) {
            let precious = matches!(
                self.said.metal,
                Some(Metal::SterlingSilver | Metal::FineSilver | Metal::GermaniumSilver | Metal::Gold14k)
            );
            let grams = ounces * if precious { TROY_OUNCE_G } else { OUNCE_G };
            self.said.mass_g = Some(grams);
            if precious {
                self.doubt("Ounces of precious metal are nearly always troy, 31.1 g; that is taken.");
            }
        }
        let wire = self.said.wire();
        match (self.said.length_mm, self.said.mass_g, wire) {
            (Some(length), None, Some(wire)) => self.said.mass_g = Some(wire.mass_g(length)),
            (None, Some(mass), Some(wire)) => self.said.length_mm = Some(wire.length_of_mm(mass)),
            (None, None, _) if self.per.is_none() => {
                self.said.missing.push("How much is sold is not said.".to_owned());
            }
            _ => {}
        }
    }

    fn settle_price(&mut self) {
        let Some(price) = self.said.price else {
            self.said.missing.push("The price is not said.".to_owned());
            return;
        };
        let over = |quantity: f64| {
            Decimal::from_f64(quantity).filter(|q| !q.is_zero()).map(|q| (price / q).round_dp(4))
        };
        let per_metre_mass = self.said.wire().map(|wire| wire.mass_g(1000.0));
        match self.per {
            Some(Per::Metre(factor)) => {
                self.said.per_metre = Decimal::from_f64(factor).map(|f| (price * f).round_dp(4));
                self.said.per_gram = self
                    .said
                    .per_metre
                    .and_then(|p| Some((p / Decimal::from_f64(per_metre_mass?)?).round_dp(4)));
            }
            Some(Per::Gram(factor)) => {
                self.said.per_gram = Decimal::from_f64(factor).map(|f| (price * f).round_dp(4));
                self.said.per_metre = self
                    .said
                    .per_gram
                    .and_then(|p| Some((p * Decimal::from_f64(per_metre_mass?)?).round_dp(4)));
            }
            None => {
                self.said.per_metre = self.said.length_mm.and_then(|mm| over(mm / 1000.0));
                self.said.per_gram = self.said.mass_g.and_then(over);
            }
        }
    }
}
