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

/// What is on the rack, and the prices of metals.
#[derive(Debug, Clone, PartialEq, Default)]
pub struct Rack {
    /// The lots there are.
    pub lots: Vec<OnRack>,
    /// Prices of a gram.
    pub metals: Vec<MetalPrice>,
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
    /// The lots of a wire.
    fn of<'a>(&'a self, wire: &'a Wire) -> impl Iterator<Item = &'a OnRack> {
        self.lots.iter().filter(|lot| lot.wire.stands_for(wire))
    }

    /// How much of a wire is left in all its lots, mm.
    #[must_use]
    pub fn left_mm(&self, wire: &Wire) -> f64 {
        self.of(wire).map(|lot| lot.left_mm).sum()
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
    /// let rack = Rack { lots: vec![lot(2), lot(4)], metals: vec![] };
    /// assert_eq!(rack.per_metre(&wire), Some((3.into(), PriceFrom::Lots(2))));
    /// assert_eq!(rack.left_mm(&wire), 10_000.0);
    /// ```
    #[must_use]
    pub fn per_metre(&self, wire: &Wire) -> Option<(Decimal, PriceFrom)> {
        let paid: Vec<Decimal> = self.of(wire).filter_map(|lot| lot.per_metre).collect();
        if !paid.is_empty() {
            let mean = paid.iter().sum::<Decimal>() / Decimal::from(paid.len());
            return Some((mean, PriceFrom::Lots(paid.len())));
        }
        let metal = self.metals.iter().find(|price| price.metal == wire.metal)?;
        let metre = Decimal::from_f64(wire.mass_g(1000.0))?.checked_mul(metal.per_gram)?;
        Some((metre, PriceFrom::Metal))
    }
}
