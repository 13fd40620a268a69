//! A finding's design, and the word it travels as.

use std::fmt;
use std::str::FromStr;

use serde::{Deserialize, Serialize};

use super::design::{Design, Dims};
use super::kinds;
use super::page::Page;
use super::parameter::Parameter;
use crate::fault::Fault;
use crate::making::wear::Wear;
use crate::wire::Wire;
use crate::wire::metal::{Metal, Temper};
use crate::words::{UnknownWord, WordVisitor, words};
use lorimant_text::Text;

words! {
    /// A family of findings.
    pub enum Family ("family") {
        /// Jump rings.
        Rings = "rings";
        /// Ear wires.
        EarWires = "ear-wires";
        /// Eye and head pins.
        Pins = "pins";
        /// Links.
        Links = "links";
        /// Clasps.
        Clasps = "clasps";
        /// Ends for cords.
        Ends = "ends";
    }
}

words! {
    /// Where a piece is worn.
    pub enum Worn ("worn") {
        /// Through a pierced ear.
        Ear = "ear";
        /// Against skin.
        Skin = "skin";
        /// Between other parts.
        Between = "between";
    }
}

/// A finding's parametric design.
pub struct Pattern {
    /// The kebab-case word it travels as.
    pub kind: &'static str,
    /// What one is called.
    pub name: Text,
    /// What several are called.
    pub plural: Text,
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
    pub form: fn(&Dims, &mut Design) -> Result<(), Fault>,
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
        Wire::round(metal, size_mm, temper)
    }

    /// How it may be worn, as far as that pulls at it.
    pub fn wears(&self) -> &'static [Wear] {
        match self.family {
            Family::EarWires => &[Wear::Ear],
            Family::Pins | Family::Ends => &[],
            Family::Rings | Family::Links | Family::Clasps => &Wear::AROUND,
        }
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
        [self.0.name.as_str(), self.0.plural.as_str(), self.0.kind]
            .into_iter()
            .chain(self.0.also.iter().copied())
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
            .description(Some("The word for a finding."))
            .into()
    }
}

#[cfg(feature = "schema")]
impl utoipa::ToSchema for Kind {}
