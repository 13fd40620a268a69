//! What wire costs: one price wherever one is asked for.

use rust_decimal::Decimal;
use rust_decimal::prelude::FromPrimitive as _;

use super::scrap::MetalPrice;
use crate::wire::Wire;

/// A lot as whoever plans sees it: its wire, what is left of it, what a metre cost.
#[derive(Debug, Clone, PartialEq)]
pub struct OnRack {
    /// Its wire, with what covers it.
    pub wire: Wire,
    /// What is left, mm.
    pub left_mm: f64,
    /// Price of a metre, where it is known.
    pub per_metre: Option<Decimal>,
}

/// What is on the rack, wire by wire, and the prices of metals.
#[derive(Debug, Clone, PartialEq, Default)]
pub struct Rack {
    wires: Vec<OfWire>,
    metals: Vec<MetalPrice>,
}

/// All lots of one wire together.
#[derive(Debug, Clone, PartialEq)]
struct OfWire {
    wire: Wire,
    left_mm: f64,
    /// What a metre cost, of each lot whose price is known, and how much of that lot is left, mm.
    paid: Vec<(Decimal, f64)>,
}

/// Where a price comes from.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum PriceFrom {
    /// The mean of so many lots of this very wire.
    Lots(usize),
    /// The price of a gram of its metal.
    Metal,
}

impl Rack {
    /// Puts lots together by their wires.
    #[must_use]
    pub fn new(lots: impl IntoIterator<Item = OnRack>, metals: Vec<MetalPrice>) -> Self {
        let mut wires: Vec<OfWire> = vec![];
        for lot in lots {
            match wires.iter_mut().find(|one| one.wire.stands_for(&lot.wire)) {
                Some(one) => {
                    one.left_mm += lot.left_mm;
                    one.paid.extend(lot.per_metre.map(|price| (price, lot.left_mm)));
                }
                None => {
                    let paid = lot.per_metre.map(|price| (price, lot.left_mm)).into_iter().collect();
                    wires.push(OfWire { wire: lot.wire, left_mm: lot.left_mm, paid });
                }
            }
        }
        Self { wires, metals }
    }

    fn of(&self, wire: &Wire) -> Option<&OfWire> {
        self.wires.iter().find(|one| one.wire.stands_for(wire))
    }

    /// The wires of which any is left.
    pub fn wires(&self) -> impl Iterator<Item = &Wire> {
        self.wires.iter().filter(|one| one.left_mm > 0.0).map(|one| &one.wire)
    }

    /// How much of a wire is left in all its lots, mm.
    #[must_use]
    pub fn left_mm(&self, wire: &Wire) -> f64 {
        self.of(wire).map_or(0.0, |one| one.left_mm)
    }

    /// Price of a metre of a wire: what a metre of what is left of it cost, each lot by how much is left; where none is
    /// left, the mean of what its lots cost; else the price of its metal. None where none of these is known.
    ///
    /// ```
    /// use lorimant_core::rack::stock::price::{OnRack, PriceFrom, Rack};
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let lot = |price: i64, left_mm| OnRack { wire: wire.clone(), left_mm, per_metre: Some(price.into()) };
    /// let rack = Rack::new([lot(2, 9000.0), lot(4, 3000.0)], vec![]);
    /// assert_eq!(rack.per_metre(&wire).unwrap(), ("2.5".parse().unwrap(), PriceFrom::Lots(2)));
    /// assert_eq!(rack.left_mm(&wire), 12_000.0);
    /// ```
    #[must_use]
    pub fn per_metre(&self, wire: &Wire) -> Option<(Decimal, PriceFrom)> {
        let paid = self.of(wire).map_or(&[][..], |one| &one.paid);
        if !paid.is_empty() {
            return Some((weighted(paid), PriceFrom::Lots(paid.len())));
        }
        let metal = self.metals.iter().find(|price| price.metal == wire.metal)?;
        let metre = Decimal::from_f64(wire.mass_g(1000.0))?.checked_mul(metal.per_gram)?;
        Some((metre, PriceFrom::Metal))
    }
}

/// The mean of prices, each by the length it was paid for that is left; the plain mean where nothing is left.
fn weighted(paid: &[(Decimal, f64)]) -> Decimal {
    let left = |(_, mm): &(Decimal, f64)| Decimal::from_f64(mm.max(0.0)).unwrap_or_default();
    let all: Decimal = paid.iter().map(left).sum();
    let worth = paid.iter().map(|one| one.0.checked_mul(left(one)).unwrap_or_default()).sum::<Decimal>();
    let plain = || paid.iter().map(|(price, _)| price).sum::<Decimal>() / Decimal::from(paid.len().max(1));
    worth.checked_div(all).map_or_else(plain, |price| price.round_dp(6).normalize())
}
