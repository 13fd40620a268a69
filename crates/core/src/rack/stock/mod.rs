//! Wire in stock: lots on the rack, and the ledger that says what is left of each.
//!
//! A [`Lot`] says what the wire is; how much is left of it is always the sum of its [`Movement`]s. None
//! is ever changed or taken out: a mistake is put right by its reverse.

pub mod booking;
pub mod buying;
mod movement;
pub mod price;
pub mod scale;
pub mod scrap;
pub mod weighing;

pub use movement::{Movement, MovementKind};
use rust_decimal::Decimal;
use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span, check_text};
use crate::wire::Wire;
use crate::wire::pull::PullTest;
use crate::wire::surface::Surface;
use crate::words::length::{LengthUnit, shown};
use crate::words::scale::{sold_by, sold_by_word};
use crate::words::{self, words};
use lorimant_text::{Text, text};

words! {
    /// What a piece of stock is.
    pub enum StockKind ("stock-kind") {
        /// Wire on a spool.
        Spool = "spool";
        /// A usable rest.
        Offcut = "offcut";
        /// A length bought straight.
        Straight = "straight";
    }
}

/// Lengths a lot or a line of its ledger may have.
const LENGTH: Span =
    Span { noun: Text::named("stock-length"), unit: " mm", least: 0.001, most: 10_000_000.0 };

/// What there is of a lot, in every way it is counted.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct LotBalance {
    /// Length left, mm.
    pub left_mm: f64,
    /// Its mass, g.
    pub left_g: f64,
    /// The same with the empty spool, as a scale would show it, g.
    pub gross_g: f64,
    /// What it cost, where its price is known.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub value: Option<Decimal>,
    /// Price of a metre, where it is known.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub per_metre: Option<Decimal>,
}

/// A lot of wire: one spool, one offcut, one straight length.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Lot {
    /// What stands on its tag, 1 to 60 characters.
    pub name: String,
    /// What it is.
    #[serde(default = "spool")]
    pub kind: StockKind,
    /// The wire.
    pub wire: Wire,
    /// What lies on its metal; bare if left out.
    #[serde(default = "bare")]
    pub surface: Surface,
    /// Share of the weight that is skin, 0.0001 to 0.5, for plated and filled wire; the usual share if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub skin_share: Option<f64>,
    /// What was paid for all of it, in the workshop's currency.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub price: Option<Decimal>,
    /// Length it was bought as, mm: what the price is for.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub bought_mm: Option<f64>,
    /// The day it came in, `2026-11-25`.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub bought_on: Option<String>,
    /// Weight of the empty spool, g.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub tare_g: Option<f64>,
    /// A note, at most 500 characters.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub note: String,
    /// Its pull tests, in the order they were made.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub pulls: Vec<PullTest>,
}

fn spool() -> StockKind {
    StockKind::Spool
}

fn bare() -> Surface {
    Surface::Bare
}

/// Largest price that can be written.
const MOST_MONEY: i64 = 10_000_000;

/// Checks an amount of money.
///
/// # Errors
/// A fault when it is negative or above ten million.
pub fn check_money(field: &str, amount: Option<Decimal>) -> Result<(), Fault> {
    match amount {
        Some(amount) if amount < Decimal::ZERO || amount > Decimal::from(MOST_MONEY) => {
            let message = text!("stock-not-possible-amount-enter-0", amount, MOST_MONEY);
            Err(Fault::new(field, message))
        }
        _ => Ok(()),
    }
}

impl Lot {
    const SKIN: Span =
        Span { noun: Text::named("stock-share-outer-layer"), unit: "", least: 0.0001, most: 0.5 };
    pub(super) const TARE: Span =
        Span { noun: Text::named("stock-weight-empty-spool"), unit: " g", least: 0.0, most: 100_000.0 };

    /// Checks everything about it.
    ///
    /// ```
    /// use lorimant_core::rack::stock::Lot;
    ///
    /// let unnamed: Lot = serde_json::from_str(r#"{"name": " ", "wire": {"metal": "copper", "size_mm": 1.0}}"#).unwrap();
    /// assert_eq!(unnamed.check().unwrap_err().0[0].field, "name");
    /// ```
    ///
    /// # Errors
    /// Every fault found, each at its field.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        let length = self.name.trim().chars().count();
        if length == 0 || length > 60 {
            let message = text!("stock-enter-name-1-60-characters");
            faults.add(Fault::new("name", message).limit(60.0));
        } else {
            faults.keep(check_text("name", text!("stock-lots-name"), &self.name, 60));
        }
        faults.nest("wire", self.wire.check());
        if self.wire.surface != Surface::Bare {
            let message = text!("stock-enter-plating-or-coating-once");
            faults.add(Fault::new("wire.surface", message));
        }
        if let Some(share) = self.skin_share {
            faults.keep(Self::SKIN.check("skin_share", share));
            if !self.surface.is_skin() {
                let message =
                    text!("stock-wire-has-no-outer-layer", surface = words::capital(self.surface.shown()));
                faults.add(Fault::new("skin_share", message));
            }
        }
        if let Some(tare) = self.tare_g {
            faults.keep(Self::TARE.check("tare_g", tare));
        }
        if let Some(bought) = self.bought_mm {
            faults.keep(LENGTH.check("bought_mm", bought));
        }
        faults.keep(check_money("price", self.price));
        if let Some(day) = &self.bought_on
            && day.parse::<jiff::civil::Date>().is_err()
        {
            let message =
                text!("stock-not-date-write-as-2026", day = day.chars().take(20).collect::<String>());
            faults.add(Fault::new("bought_on", message));
        }
        faults.keep(check_text("note", text!("noun-note"), &self.note, 500));
        for (n, pull) in self.pulls.iter().enumerate() {
            faults.nest(&format!("pulls.{n}"), pull.check(LengthUnit::Mm));
        }
        faults.into_result()
    }

    /// What its metal cost a metre, where price and bought length are known.
    ///
    /// ```
    /// use lorimant_core::rack::stock::Lot;
    ///
    /// let lot: Lot = serde_json::from_str(
    ///     r#"{"name": "Blue spool", "wire": {"metal": "copper", "size_mm": 1.0}, "price": "9.40", "bought_mm": 20000, "tare_g": 62}"#,
    /// ).unwrap();
    /// assert_eq!(lot.per_metre().unwrap().to_string(), "0.47");
    /// ```
    pub fn per_metre(&self) -> Option<Decimal> {
        let metres = Decimal::from_f64_retain(self.bought_mm? / 1000.0)?;
        self.price?.checked_div(metres).map(|price| price.round_dp(4))
    }

    /// What a metre or a foot of it cost, and which of them, as wire is priced where this unit is read first.
    pub fn price_of(&self, unit: LengthUnit) -> Option<(Decimal, &'static str)> {
        let (_, long_mm) = sold_by(unit);
        Some((Self::price_of_length(self.per_metre()?, long_mm)?, sold_by_word(unit)))
    }

    /// What so much wire costs at a price of a metre, to a hundredth.
    pub fn price_of_length(per_metre: Decimal, length_mm: f64) -> Option<Decimal> {
        per_metre.checked_mul(Decimal::from_f64_retain(length_mm / 1000.0)?).map(|price| price.round_dp(2))
    }

    /// What there is of it, given the length left, mm.
    ///
    /// ```
    /// use lorimant_core::rack::stock::Lot;
    ///
    /// let lot: Lot = serde_json::from_str(
    ///     r#"{"name": "Blue spool", "wire": {"metal": "copper", "size_mm": 1.0}, "price": "9.40", "bought_mm": 20000, "tare_g": 62}"#,
    /// ).unwrap();
    /// let balance = lot.balance(5000.0);
    /// // A quarter of what was bought is worth a quarter of its price; the scale shows the spool besides.
    /// assert_eq!(balance.value.unwrap().to_string(), "2.35");
    /// assert!((balance.gross_g - balance.left_g - 62.0).abs() < 1e-9);
    /// ```
    pub fn balance(&self, left_mm: f64) -> LotBalance {
        let left_g = self.wire.mass_g(left_mm);
        let per_metre = self.per_metre();
        let value = per_metre.and_then(|price| Self::price_of_length(price, left_mm));
        LotBalance { left_mm, left_g, gross_g: left_g + self.tare_g.unwrap_or(0.0), value, per_metre }
    }

    /// Share of its weight that is skin: its own, or the usual one for its surface. Sources: plating about
    /// 1 %, filled 1/20 (gold) or 1/10 (silver), trade usage.
    ///
    /// ```
    /// use lorimant_core::rack::stock::Lot;
    ///
    /// let plated: Lot = serde_json::from_str(
    ///     r#"{"name": "Bright", "wire": {"metal": "copper", "size_mm": 1.0}, "surface": "plated"}"#,
    /// ).unwrap();
    /// assert_eq!(plated.skin(), Some(0.01));
    /// ```
    pub fn skin(&self) -> Option<f64> {
        let usual = match self.surface {
            Surface::Bare | Surface::Coated | Surface::Galvanised => None,
            Surface::Plated => Some(0.01),
            Surface::Filled => Some(self.wire.metal.figures().skin_share.unwrap_or(0.05)),
        };
        self.skin_share.or(usual)
    }

    /// Its wire with what lies on it.
    ///
    /// ```
    /// use lorimant_core::rack::stock::Lot;
    /// use lorimant_core::wire::surface::Surface;
    ///
    /// let plated: Lot = serde_json::from_str(
    ///     r#"{"name": "Bright", "wire": {"metal": "copper", "size_mm": 1.0}, "surface": "plated"}"#,
    /// ).unwrap();
    /// assert_eq!(plated.covered_wire().surface, Surface::Plated);
    /// ```
    #[must_use]
    pub fn covered_wire(&self) -> Wire {
        Wire { surface: self.surface, ..self.wire.clone() }
    }

    /// Checks that a wire can have come off it, by the number it goes under.
    ///
    /// # Errors
    /// A fault at `wire.lot.lot_n` where the lot is of another wire.
    pub fn gives(&self, lot_n: i64, wire: &Wire, unit: LengthUnit) -> Result<(), Fault> {
        if self.covered_wire().stands_for(wire) {
            return Ok(());
        }
        let message = text!(
            "stock-lot-but-this-choose-spool",
            lot_n,
            covered_wire = self.covered_wire().shown(unit),
            wire = wire.shown(unit)
        );
        Err(Fault::new("wire.lot.lot_n", message))
    }

    /// What it is in one line: `half-hard sterling silver, round 0.81 mm (20 AWG), filled`.
    pub fn sentence(&self, unit: LengthUnit) -> String {
        let wire = self.wire.shown(unit);
        match (self.surface, self.skin()) {
            (Surface::Bare, _) => wire,
            (surface, Some(share)) => {
                text!("stock-weight", wire, surface, share = shown(100.0 * share, 2))
            }
            (surface, None) => format!("{wire}, {surface}"),
        }
    }
}

/// Length (mm) and mass (g) of an amount of wire that is given as one of the two.
///
/// ```
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
/// use lorimant_core::rack::stock::both_ways;
///
/// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
/// let (mm, grams) = both_ways(&wire, Some(1000.0), None).unwrap();
/// assert_eq!(both_ways(&wire, None, Some(grams)).unwrap().0, mm);
/// assert!(both_ways(&wire, None, None).is_err());
/// ```
///
/// # Errors
/// A fault at `length_mm` or `mass_g` where that is out of limits, or where both or neither are given.
pub fn both_ways(wire: &Wire, length_mm: Option<f64>, mass_g: Option<f64>) -> Result<(f64, f64), Fault> {
    const MASS: Span =
        Span { noun: Text::named("stock-weight-wire"), unit: " g", least: 0.001, most: 1_000_000.0 };
    match (length_mm, mass_g) {
        (Some(mm), None) => LENGTH.check("length_mm", mm).map(|mm| (mm, wire.mass_g(mm))),
        (None, Some(grams)) => MASS.check("mass_g", grams).map(|grams| (wire.length_of_mm(grams), grams)),
        _ => {
            let message = text!("stock-enter-how-much-its-length");
            Err(Fault::new("length_mm", message))
        }
    }
}
