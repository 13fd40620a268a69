//! Scrap, kept apart by metal and by how clean it is.

use rust_decimal::Decimal;
use rust_decimal::prelude::FromPrimitive as _;
use serde::{Deserialize, Serialize};

use crate::fault::{Faults, Span, check_text};
use crate::wire::metal::Metal;
use crate::words::words;
use lorimant_text::{Text, text};

words! {
    /// How clean scrap is.
    pub enum Cleanliness ("cleanliness") {
        /// One metal, no solder: it can be melted at the bench.
        Clean = "clean";
        /// With solder on it: for the refiner.
        Soldered = "soldered";
        /// Metals mixed: for the refiner.
        Mixed = "mixed";
        /// Filings and sweepings: for the refiner.
        Dust = "dust";
    }
}

impl Cleanliness {
    /// Share of the metal's price that is reckoned with: melting at the bench loses little, a refiner
    /// pays less the dirtier it is. Our reckoning; refiners differ.
    ///
    /// ```
    /// use lorimant_core::rack::stock::scrap::Cleanliness;
    ///
    /// assert!(Cleanliness::Clean.worth() > Cleanliness::Soldered.worth());
    /// ```
    pub fn worth(self) -> f64 {
        match self {
            Self::Clean => 0.95,
            Self::Soldered => 0.80,
            Self::Mixed => 0.60,
            Self::Dust => 0.50,
        }
    }

    /// Where it goes.
    pub fn goes(self) -> &'static str {
        match self {
            Self::Clean => text!("scrap-can-be-melted-into-balls"),
            Self::Soldered | Self::Mixed | Self::Dust => text!("scrap-goes-refiner"),
        }
    }
}

/// A change of the scrap of one kind: put in, or taken out.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct ScrapChange {
    /// The metal.
    pub metal: Metal,
    /// How clean it is.
    pub cleanliness: Cleanliness,
    /// Grams; negative where it is taken out.
    pub mass_g: f64,
    /// A note, at most 200 characters.
    #[serde(default)]
    pub note: String,
}

impl ScrapChange {
    /// Checks it.
    ///
    /// # Errors
    /// Faults at `mass_g` and `note`.
    pub fn check(&self) -> Result<(), Faults> {
        const MASS: Span =
            Span { noun: Text::named("scrap-weight-scrap"), unit: " g", least: 0.001, most: 100_000.0 };
        let mut faults = Faults::none();
        faults.keep(MASS.check("mass_g", self.mass_g.abs()));
        faults.keep(check_text("note", text!("noun-note"), &self.note, 200));
        faults.into_result()
    }
}

/// What a gram of a metal is reckoned at.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct MetalPrice {
    /// The metal.
    pub metal: Metal,
    /// Price of a gram, in the workshop's currency.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub per_gram: Decimal,
}

/// Scrap of one metal and cleanliness.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Scrap {
    /// The metal.
    pub metal: Metal,
    /// How clean it is.
    pub cleanliness: Cleanliness,
    /// Grams.
    pub mass_g: f64,
    /// What it is worth, where the metal's price is known. An estimate.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub value: Option<Decimal>,
    /// What becomes of it.
    pub goes: &'static str,
}

impl Scrap {
    /// So many grams, valued by a list of prices: mass × price × what its cleanliness is worth.
    ///
    /// ```
    /// use lorimant_core::rack::stock::scrap::{Cleanliness, MetalPrice, Scrap};
    /// use lorimant_core::wire::metal::Metal;
    ///
    /// let prices = [MetalPrice { metal: Metal::FineSilver, per_gram: 1.into() }];
    /// let pile = Scrap::valued(Metal::FineSilver, Cleanliness::Clean, 10.0, &prices);
    /// assert_eq!(pile.value, "9.50".parse().ok());
    /// ```
    pub fn valued(metal: Metal, cleanliness: Cleanliness, mass_g: f64, prices: &[MetalPrice]) -> Self {
        let value = prices.iter().find(|price| price.metal == metal).and_then(|price| {
            let grams = Decimal::from_f64(mass_g * cleanliness.worth())?;
            grams.checked_mul(price.per_gram).map(|value| value.round_dp(2))
        });
        Self { metal, cleanliness, mass_g, value, goes: cleanliness.goes() }
    }
}
