//! How unlikely a quantity is at a place: the price of reading `18` as a gauge, a count, an inside.

use super::place::{BareSize, NOWHERE, Place, Placing, Quantity, Written, bare_size};
use super::token::Question;
use crate::reading::{Word, exactly};
use crate::words::length::Typed;

/// A quantity with what its price depends on.
struct Priced {
    /// In mm, g or pieces, as the place asks.
    value: f64,
    /// The number where no unit stands behind it.
    bare: Option<f64>,
    near_wire: bool,
    near_rings: bool,
    first: bool,
    last: bool,
}

impl Placing<'_> {
    /// Price of a quantity at a place; none where it cannot stand there.
    pub(super) fn price(&self, i: usize, quantity: &Quantity, place: Place) -> Option<f64> {
        let value = self.value(quantity, place);
        if !value.is_finite() && place != Place::Nowhere {
            return None;
        }
        let one = self.priced(quantity, value);
        let gauge = matches!(quantity.written, Written::Length(Typed::Gauge(..) | Typed::BareGauge(_)));
        match (place, quantity.written) {
            (Place::Count, _) => one.as_count(),
            (Place::Size, Written::MassOrGauge(_)) => Some(0.0),
            (Place::Size, _) if gauge => Some(0.0),
            (Place::Size, _) => one.as_size(self.made()),
            (Place::Inside, Written::MassOrGauge(_)) => None,
            (Place::Inside, _) if gauge => None,
            (Place::Inside, _) => one.as_inside(),
            (Place::Sized(at), Written::Length(_)) if !gauge => {
                let parameter = self.parameter(at)?;
                parameter.check(value).ok()?;
                #[expect(clippy::cast_precision_loss, reason = "a handful")]
                let order = 0.1 * (at as f64 - i as f64).abs();
                Some(order + if one.bare.is_some() { 1.0 } else { 0.1 })
            }
            (Place::Sized(_), _) => None,
            (Place::Piece, Written::Length(_)) if !gauge && one.bare.is_none() => {
                self.as_piece(i, quantity, value)
            }
            (Place::Piece, _) => None,
            (Place::Supply, Written::Length(_)) if !gauge && one.bare.is_none() => self.as_supply(value),
            (Place::SupplyMass, Written::MassOrGauge(_)) => {
                Some(if self.parsed.size_mm.is_some() { 0.0 } else { 1.5 })
            }
            (Place::Supply | Place::SupplyMass, _) => None,
            (Place::Converted, Written::Length(_)) => Some(0.5),
            (Place::Converted, Written::MassOrGauge(_)) => Some(2.0),
            (Place::Nowhere, _) => Some(NOWHERE),
        }
    }

    fn priced(&self, quantity: &Quantity, value: f64) -> Priced {
        let (before, after) = self.beside(quantity);
        let named_wire =
            |word: &str| matches!(exactly(word), Some(Word::Metal(_) | Word::Temper(_) | Word::Section(_)));
        let rings = |word: &str| ["ring", "rings"].contains(&word);
        let ends = self.text.trim_end_matches(|c: char| !c.is_alphanumeric()).chars().count();
        Priced {
            value,
            bare: match quantity.written {
                Written::Length(Typed::Bare(n)) => Some(n),
                _ => None,
            },
            near_wire: named_wire(before) || named_wire(after),
            near_rings: rings(before) || rings(after),
            first: quantity.from == 0,
            last: ends <= quantity.to,
        }
    }

    /// A finding is as large as a hand holds; what its own sizes take is one of them, and what it is made from is said so.
    fn as_piece(&self, i: usize, quantity: &Quantity, value: f64) -> Option<f64> {
        const FROM: [&str; 8] = ["from", "of", "have", "using", "out", "with", "got", "off"];
        let (before, _) = self.beside(quantity);
        let sizes = self.parsed.pattern.as_ref().map_or(0, |kind| kind.value.0.sized_by.len());
        let its_own = (0..sizes).any(|at| self.price(i, quantity, Place::Sized(at)).is_some());
        let asked = [Question::HowMany, Question::WhatCanIMake].iter().any(|one| self.parsed.asks(*one));
        ((8.0..=150.0).contains(&value) && !its_own && !asked && !FROM.contains(&before)).then_some(0.3)
    }

    fn as_supply(&self, value: f64) -> Option<f64> {
        let parsed = self.parsed;
        let asked = [Question::HowMany, Question::WhatCanIMake, Question::Weight]
            .iter()
            .any(|question| parsed.asks(*question))
            || !self.made();
        let short = match value {
            mm if mm >= 300.0 => 0.0,
            mm if mm >= 20.0 => 1.5,
            _ => 3.0,
        };
        // Fifty clasps are not made of 20 mm: that is a size of theirs which they do not have.
        let counted = parsed.count.is_some() && !asked;
        let least = if counted { 300.0 } else { 10.0 };
        (value >= least).then_some(short + if asked { 0.0 } else { 0.4 })
    }
}

impl Priced {
    /// Counts stand at an end of the line, and are large; a small number beside the wire is its size.
    fn as_count(&self) -> Option<f64> {
        let n = self.bare.filter(|n| n.fract() == 0.0 && *n >= 1.0)?;
        let small = if n <= 40.0 && self.near_wire { 1.5 } else { 0.0 };
        let placed = match n {
            _ if self.first || self.last => 0.0,
            n if n > 40.0 => 0.2,
            _ => 1.0,
        };
        Some(small + placed)
    }

    fn as_size(&self, made: bool) -> Option<f64> {
        let (value, near_wire) = (self.value, self.near_wire);
        match self.bare {
            Some(n) if bare_size(n) == BareSize::Gauge => {
                let usual = (10.0..=30.0).contains(&n);
                let price = if near_wire { 0.0 } else { 0.8 };
                let first = if self.first && made && !near_wire { 0.5 } else { 0.0 };
                (6.0..=40.0).contains(&n).then_some(price + first + if usual { 0.0 } else { 2.0 })
            }
            Some(n) if bare_size(n) == BareSize::Inch => (value >= 0.2 && n > 0.0).then_some(0.5),
            Some(_) => (0.2..=6.5).contains(&value).then_some(if near_wire { 0.2 } else { 1.2 }),
            None if (0.25..=3.3).contains(&value) => Some(if near_wire { 0.0 } else { 0.3 }),
            None => (0.05..=13.0).contains(&value).then_some(3.0),
        }
    }

    fn as_inside(&self) -> Option<f64> {
        let value = self.value;
        match self.bare {
            Some(n) if !(0.5..=60.0).contains(&value) || n <= 0.0 => None,
            Some(_) => Some(if self.near_rings { 0.3 } else { 0.8 } + if value > 15.0 { 1.5 } else { 0.0 }),
            None if value < 1.5 => (value >= 0.5).then_some(2.5),
            None => (value <= 100.0).then_some(if value > 40.0 { 2.0 } else { 0.0 }),
        }
    }
}
