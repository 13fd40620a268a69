//! Patterns: the findings the trade makes, each a parametric design of bends.
//!
//! A [`Pattern`] is one file under [`kinds`] and one line in its list. A [`PatternRequest`] is what a
//! maker asks for; [`form`] makes the wire's way through space of it, and from that follow blank,
//! marks, steps, checks and drawings.

pub mod backwards;
pub mod blank;
pub mod cad;
pub mod change;
pub mod check;
pub mod compare;
pub mod drawn;
pub mod figures;
pub mod form;
pub mod former;
pub mod kinds;
pub mod page;
pub mod part;
pub mod place;
pub mod sentence;
pub mod sheet;
pub mod step;
pub mod transfer;

use std::collections::BTreeMap;
use std::fmt;
use std::str::FromStr;

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span};
use crate::wire::Wire;
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::Section;
use crate::words::{UnknownWord, WordVisitor, capital, did_you_mean, quoted, words};
use former::{Dims, Former};
use page::Page;

words! {
    /// A family of findings.
    pub enum Family ("family of findings") {
        /// Jump rings.
        Rings = "rings", "rings";
        /// Ear wires.
        EarWires = "ear-wires", "ear wires";
        /// Eye and head pins.
        Pins = "pins", "pins";
        /// Links.
        Links = "links", "links";
        /// Clasps.
        Clasps = "clasps", "clasps";
        /// Ends for cords.
        Ends = "ends", "ends";
    }
}

words! {
    /// Where a piece is worn.
    pub enum Worn ("place where a piece is worn") {
        /// Through a pierced ear.
        Ear = "ear", "in the ear";
        /// Against skin.
        Skin = "skin", "against skin";
        /// Between other parts.
        Between = "between", "between parts";
    }
}

words! {
    /// What a parameter is counted in.
    pub enum Unit ("unit of a parameter") {
        /// Millimetres.
        Mm = "mm", "mm";
        /// Degrees.
        Deg = "deg", "°";
        /// Turns; part-turns count.
        Turns = "turns", "turns";
        /// One of a few ways, by number from 0.
        Choice = "choice", "";
    }
}

/// One thing about a pattern that can be chosen.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Parameter {
    /// Its name in a request; ends in its unit.
    pub name: &'static str,
    /// What it is called.
    pub label: &'static str,
    /// What it is counted in.
    pub unit: Unit,
    /// What it is if left out.
    pub default: f64,
    /// Least it can be.
    pub min: f64,
    /// Most it can be.
    pub max: f64,
    /// For a choice: what each number means.
    #[serde(skip_serializing_if = "<[_]>::is_empty")]
    pub options: &'static [&'static str],
    /// What the sentence says where it is 0.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub none: Option<&'static str>,
    /// What it is, in a sentence.
    pub sentence: &'static str,
}

impl Parameter {
    const fn number(
        name: &'static str,
        label: &'static str,
        unit: Unit,
        span: [f64; 3],
        sentence: &'static str,
    ) -> Self {
        let [default, min, max] = span;
        Self { name, label, unit, default, min, max, options: &[], none: None, sentence }
    }

    /// A length: default, least and most in mm.
    pub const fn mm(name: &'static str, label: &'static str, span: [f64; 3], sentence: &'static str) -> Self {
        Self::number(name, label, Unit::Mm, span, sentence)
    }

    /// An angle: default, least and most in degrees.
    pub const fn deg(
        name: &'static str,
        label: &'static str,
        span: [f64; 3],
        sentence: &'static str,
    ) -> Self {
        Self::number(name, label, Unit::Deg, span, sentence)
    }

    /// A number of turns.
    pub const fn turns(
        name: &'static str,
        label: &'static str,
        span: [f64; 3],
        sentence: &'static str,
    ) -> Self {
        Self::number(name, label, Unit::Turns, span, sentence)
    }

    /// One of a few ways; the first if left out. `max` is the number of the last.
    pub const fn choice(
        name: &'static str,
        label: &'static str,
        options: &'static [&'static str],
        max: f64,
        sentence: &'static str,
    ) -> Self {
        Self { options, ..Self::number(name, label, Unit::Choice, [0.0, 0.0, max], sentence) }
    }

    /// The same, which may be left out by making it 0.
    pub const fn or_none(self, none: &'static str) -> Self {
        Self { none: Some(none), ..self }
    }

    /// Checks a value for it.
    ///
    /// ```
    /// use lorimant_core::pattern::Kind;
    ///
    /// let hook: Kind = "hook-clasp".parse().unwrap();
    /// let eye = hook.0.parameter("eye_mm").unwrap();
    /// assert!(eye.check(eye.default).is_ok());
    /// assert_eq!(eye.check(-1.0).unwrap_err().field, "parameters.eye_mm");
    /// ```
    ///
    /// # Errors
    /// A fault at `parameters.<name>` when it is out of limits, or no whole number for a choice.
    pub fn check(&self, value: f64) -> Result<f64, Fault> {
        let field = format!("parameters.{}", self.name);
        if self.none.is_some() && value == 0.0 {
            return Ok(0.0);
        }
        let unit = match self.unit {
            Unit::Mm => " mm",
            Unit::Deg => "°",
            Unit::Turns => " turns",
            Unit::Choice => "",
        };
        let value = Span { noun: self.label, unit, least: self.min, most: self.max }.check(&field, value)?;
        if self.unit == Unit::Choice && value.fract() != 0.0 {
            let ways: Vec<String> =
                self.options.iter().enumerate().map(|(i, way)| format!("{i} is {way}")).collect();
            let said = format!("{value} is between two ways for the {}. {}.", self.label, ways.join(", "));
            return Err(Fault::new(field, said));
        }
        Ok(value)
    }
}

/// A finding's parametric design.
pub struct Pattern {
    /// The kebab-case word it travels as.
    pub kind: &'static str,
    /// What one is called.
    pub name: &'static str,
    /// What several are called.
    pub plural: &'static str,
    /// What people also call it; the ask line reads these.
    pub also: &'static [&'static str],
    /// Which family it belongs to.
    pub family: Family,
    /// Where it is worn.
    pub worn: Worn,
    /// Whether it is counted in pairs, a blank for each of the two.
    pub paired: bool,
    /// What can be chosen about it.
    pub parameters: &'static [Parameter],
    /// The wire it is usually made of.
    pub wire: UsualWire,
    /// Parameters that a size said without a name means, in order: `6 x 4`, `50 mm`.
    pub sized_by: &'static [&'static str],
    /// Which parameter gives way when a finished height, or a width, or a blank is asked for.
    pub free: Free,
    /// What it is for, which wire and why, what goes wrong.
    pub page: Page,
    /// Lays the wire.
    pub form: fn(&Dims, &mut Former) -> Result<(), Fault>,
}

/// The wire a pattern is usually made of.
#[derive(Debug, Clone, Copy)]
pub struct UsualWire {
    /// Metal.
    pub metal: Metal,
    /// Temper.
    pub temper: Temper,
    /// Diameter, mm.
    pub size_mm: f64,
}

/// Names of the parameters that are solved for when a result is given.
#[derive(Debug, Clone, Copy)]
pub struct Free {
    /// For a finished height.
    pub height: &'static str,
    /// For a finished width.
    pub width: &'static str,
    /// For a blank.
    pub blank: &'static str,
}

impl Pattern {
    /// The pattern's usual wire as a request names it.
    pub fn usual(&self) -> Wire {
        let UsualWire { metal, temper, size_mm } = self.wire;
        Wire { metal, section: Section::Round, size_mm, temper }
    }

    /// Its parameter of a name.
    pub fn parameter(&self, name: &str) -> Option<&'static Parameter> {
        self.parameters.iter().find(|parameter| parameter.name == name)
    }
}

/// Which pattern, by its word.
#[derive(Clone, Copy)]
pub struct Kind(pub &'static Pattern);

impl Kind {
    /// All there are, in the order people list them.
    ///
    /// ```
    /// use lorimant_core::pattern::Kind;
    ///
    /// assert_eq!(Kind::all().count(), 22);
    /// ```
    pub fn all() -> impl Iterator<Item = Self> {
        kinds::ALL.iter().map(|pattern| Self(pattern))
    }
}

impl Kind {
    /// The pattern that makers call exactly this: its name, its plural, its word, or what else it is called.
    ///
    /// ```
    /// use lorimant_core::pattern::Kind;
    ///
    /// assert_eq!(Kind::called("Hooks").map(|kind| kind.0.kind), Some("open-ear-wire"));
    /// assert_eq!(Kind::called("brooch"), None);
    /// ```
    pub fn called(text: &str) -> Option<Self> {
        let text = text.trim().to_lowercase();
        Self::all().find(|kind| kind.names().any(|name| name.to_lowercase() == text))
    }

    /// Everything makers call it.
    pub(crate) fn names(self) -> impl Iterator<Item = &'static str> {
        [self.0.name, self.0.plural, self.0.kind].into_iter().chain(self.0.also.iter().copied())
    }
}

impl PartialEq for Kind {
    fn eq(&self, other: &Self) -> bool {
        self.0.kind == other.0.kind
    }
}

impl fmt::Debug for Kind {
    fn fmt(&self, f: &mut fmt::Formatter) -> fmt::Result {
        f.write_str(self.0.kind)
    }
}

impl FromStr for Kind {
    type Err = UnknownWord;

    fn from_str(word: &str) -> Result<Self, UnknownWord> {
        let found = Self::all().find(|kind| kind.0.kind == word);
        found.ok_or_else(|| UnknownWord::new("pattern", word, Self::all().map(|kind| kind.0.kind).collect()))
    }
}

impl Serialize for Kind {
    fn serialize<S: serde::Serializer>(&self, to: S) -> Result<S::Ok, S::Error> {
        to.serialize_str(self.0.kind)
    }
}

impl<'de> Deserialize<'de> for Kind {
    fn deserialize<D: serde::Deserializer<'de>>(from: D) -> Result<Self, D::Error> {
        from.deserialize_str(WordVisitor(std::marker::PhantomData, "pattern"))
    }
}

#[cfg(feature = "schema")]
impl utoipa::PartialSchema for Kind {
    fn schema() -> utoipa::openapi::RefOr<utoipa::openapi::schema::Schema> {
        utoipa::openapi::schema::ObjectBuilder::new()
            .schema_type(utoipa::openapi::schema::Type::String)
            .enum_values(Some(Self::all().map(|kind| kind.0.kind)))
            .description(Some("The word for a pattern."))
            .into()
    }
}

#[cfg(feature = "schema")]
impl utoipa::ToSchema for Kind {}

/// What is taken off or held at the ends of a blank; usual shares of the wire's thickness if left out.
#[derive(Debug, Clone, PartialEq, Default, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct BlankEnds {
    /// Trimmed flush at each end, mm; 0.6 thicknesses if left out.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub trim_mm: Option<f64>,
    /// Filed or rounded off each end, mm; 0.15 thicknesses if left out.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub filing_mm: Option<f64>,
    /// Tail to hold at each end that needs one, mm; what the pattern needs if left out.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub tail_mm: Option<f64>,
}

impl BlankEnds {
    const LOSS: Span = Span { noun: "loss at an end", unit: " mm", least: 0.0, most: 20.0 };
    const TAIL: Span = Span { noun: "tail", unit: " mm", least: 0.0, most: 200.0 };

    fn check(&self, faults: &mut Faults) {
        for (span, field, value) in [
            (&Self::LOSS, "ends.trim_mm", self.trim_mm),
            (&Self::LOSS, "ends.filing_mm", self.filing_mm),
            (&Self::TAIL, "ends.tail_mm", self.tail_mm),
        ] {
            if let Some(value) = value {
                faults.keep(span.check(field, value));
            }
        }
    }
}

/// What a maker asks for: so many of a pattern, in a wire.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct PatternRequest {
    /// Which pattern.
    pub kind: Kind,
    /// What is chosen about it, by name; what is left out is as usual. See `/api/pattern-kinds`.
    #[serde(default)]
    pub parameters: BTreeMap<String, f64>,
    /// The wire.
    pub wire: Wire,
    /// How many pieces, or pairs of what is counted in pairs: 1 to 100 000; 1 if left out.
    #[serde(default = "one")]
    pub pieces_n: u32,
    /// Whether single pieces are counted, though the pattern is usually counted in pairs.
    #[serde(default, skip_serializing_if = "std::ops::Not::not")]
    pub singly: bool,
    /// Whether it is made the other way round, as in a mirror.
    #[serde(default, skip_serializing_if = "std::ops::Not::not")]
    pub mirrored: bool,
    /// The plier to roll on, by its name in the workshop; the one that suits each bend if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub plier: Option<String>,
    /// What is lost or held at the ends.
    #[serde(default)]
    pub ends: BlankEnds,
}

fn one() -> u32 {
    1
}

/// Most pieces one request may have.
pub const MOST_PIECES: u32 = 100_000;

impl PatternRequest {
    /// One of a pattern as it is usually made.
    pub fn usual(kind: Kind) -> Self {
        Self {
            kind,
            parameters: BTreeMap::new(),
            wire: kind.0.usual(),
            pieces_n: 1,
            singly: false,
            mirrored: false,
            plier: None,
            ends: BlankEnds::default(),
        }
    }

    /// The value of a parameter, chosen or usual; 0 for one the pattern does not have.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// assert_eq!(hook.value("eye_mm"), hook.kind.0.parameter("eye_mm").unwrap().default);
    /// ```
    pub fn value(&self, name: &str) -> f64 {
        let usual = self.kind.0.parameter(name).map_or(0.0, |parameter| parameter.default);
        self.parameters.get(name).copied().unwrap_or(usual)
    }

    /// Whether its count is of pairs.
    pub fn in_pairs(&self) -> bool {
        self.kind.0.paired && !self.singly
    }

    /// Blanks to cut: two for a pair.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let hooks = PatternRequest { pieces_n: 24, ..PatternRequest::usual("open-ear-wire".parse().unwrap()) };
    /// assert_eq!(hooks.blanks_n(), 48, "24 pairs");
    /// ```
    pub fn blanks_n(&self) -> u32 {
        if self.in_pairs() { 2 * self.pieces_n } else { self.pieces_n }
    }

    /// Its count in words: `24 pairs`, `1 piece`.
    pub fn count_shown(&self) -> String {
        match (self.pieces_n, self.in_pairs()) {
            (1, true) => "1 pair".to_owned(),
            (1, false) => "1 piece".to_owned(),
            (n, true) => format!("{n} pairs"),
            (n, false) => format!("{n} pieces"),
        }
    }

    /// Checks everything that can be checked before the wire is laid.
    ///
    /// # Errors
    /// Every fault found, each at its field.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.nest("wire", self.wire.check());
        let pattern = self.kind.0;
        for (name, value) in &self.parameters {
            match pattern.parameter(name) {
                Some(parameter) => {
                    faults.keep(parameter.check(*value));
                }
                None => {
                    let known: Vec<&str> = pattern.parameters.iter().map(|p| p.name).collect();
                    let said = format!(
                        "{} has no {}.{} Known: {}.",
                        capital(pattern.name),
                        quoted(name),
                        did_you_mean(name, known.iter().copied()),
                        known.join(", ")
                    );
                    let field: String = name.chars().take(40).collect();
                    faults.add(Fault::new(format!("parameters.{field}"), said));
                }
            }
        }
        if self.pieces_n == 0 || self.pieces_n > MOST_PIECES {
            let said =
                format!("{} pieces cannot be planned at once. Ask for 1 to {MOST_PIECES}.", self.pieces_n);
            let limit = if self.pieces_n == 0 { 1.0 } else { f64::from(MOST_PIECES) };
            faults.add(Fault::new("pieces_n", said).limit(limit));
        }
        self.ends.check(&mut faults);
        faults.into_result()
    }
}
