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
    /// What a metre cost, of each lot whose price is known.
    paid: Vec<Decimal>,
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
                    one.paid.extend(lot.per_metre);
                }
                None => {
                    let paid = lot.per_metre.into_iter().collect();
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

    /// Price of a metre of a wire: the mean of what its lots cost, or else that of its metal. None where neither is known.
    ///
    /// ```
    /// use lorimant_core::rack::stock::price::{OnRack, PriceFrom, Rack};
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let lot = |price: i64| OnRack { wire: wire.clone(), left_mm: 5000.0, per_metre: Some(price.into()) };
    /// let rack = Rack::new([lot(2), lot(4)], vec![]);
    /// assert_eq!(rack.per_metre(&wire), Some((3.into(), PriceFrom::Lots(2))));
    /// assert_eq!(rack.left_mm(&wire), 10_000.0);
    /// ```
    #[must_use]
    pub fn per_metre(&self, wire: &Wire) -> Option<(Decimal, PriceFrom)> {
        let paid = self.of(wire).map_or(&[][..], |one| &one.paid);
        if !paid.is_empty() {
            let mean = paid.iter().sum::<Decimal>() / Decimal::from(paid.len());
            return Some((mean, PriceFrom::Lots(paid.len())));
        }
        let metal = self.metals.iter().find(|price| price.metal == wire.metal)?;
        let metre = Decimal::from_f64(wire.mass_g(1000.0))?.checked_mul(metal.per_gram)?;
        Some((metre, PriceFrom::Metal))
    }
}
