//! A shop's listing, read: metal, section, temper, size, quantity and price in any order and a few
//! languages; what is missing or doubtful is said, never guessed.
//!
//! The line is cut into what it says ([`read`]); what was said twice or in two ways is weighed against the rest
//! ([`settle`]): the two sizes against each other, length against weight, a comma against what the metal costs.

mod plain;
mod read;
mod settle;
mod vocabulary;

use rust_decimal::Decimal;
use rust_decimal::prelude::FromPrimitive as _;
use serde::Serialize;

use crate::wire::Wire;
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::Section;
use crate::wire::surface::Surface;
use crate::words::length::Habits;
use lorimant_text::text;

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
    /// `plated`, `filled` or `coated`, where it says so.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub surface: Option<&'static str>,
    /// Length sold, mm, all packs together; worked out from the weight where that is given.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub length_mm: Option<f64>,
    /// Weight sold, g, all packs together; worked out from the length where that is given.
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

/// What the prices of a listing come to, in sentences.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Prices {
    /// Of a metre and of a gram, as far as they are known.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub text: Option<String>,
    /// Of a blank, where one was to be priced.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub of_blank: Option<String>,
    /// That the line is in another currency than the workshop reckons in.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub foreign: Option<String>,
}

/// Reads a listing.
///
/// ```
/// use lorimant_core::rack::listing::decode;
/// use lorimant_core::wire::metal::Metal;
/// use lorimant_core::words::length::Habits;
///
/// let said = decode("sterling round 20 awg half hard 5 ft x 3 $42.00", Habits::default());
/// assert_eq!(said.metal, Some(Metal::SterlingSilver));
/// assert!((said.length_mm.unwrap() - 15.0 * 304.8).abs() < 1e-9);
/// ```
pub fn decode(text: &str, habits: Habits) -> Listing {
    let line: String = text.chars().take(LONGEST).collect::<String>().to_lowercase();
    let mut listing = settle::settle(read::read(&plain::written_plainly(&line)), habits);
    if text.chars().count() > LONGEST {
        listing.doubtful.push(text!("listing-only-first-characters-were-read", LONGEST));
    }
    listing
}

impl Listing {
    /// Price of so much wire, to a hundredth of the smallest coin; none where the price or the quantity
    /// is not known.
    ///
    /// ```
    /// use lorimant_core::rack::listing::decode;
    /// use lorimant_core::words::length::Habits;
    ///
    /// let line = decode("copper round 1 mm soft 10 m 8.00 EUR", Habits::default());
    /// assert_eq!(line.price_of(500.0), "0.40".parse().ok());
    /// ```
    pub fn price_of(&self, length_mm: f64) -> Option<Decimal> {
        let metres = Decimal::from_f64(length_mm / 1000.0)?;
        Some((self.per_metre? * metres).round_dp(4))
    }

    /// What its prices come to, in sentences: of a metre and a gram, of a blank where one is to be priced, and
    /// that they are not in the currency the workshop reckons in.
    ///
    /// ```
    /// use lorimant_core::rack::listing::decode;
    /// use lorimant_core::words::length::Habits;
    ///
    /// let line = decode("copper round 1 mm soft 10 m 8.00 EUR", Habits::default());
    /// let prices = line.prices("florins", Some(50.0));
    /// assert_eq!(prices.foreign.unwrap(), "The line gives EUR, but you use florins. Enter the price in florins.");
    /// assert_eq!(prices.of_blank.unwrap(), "0.04 EUR for the wire of one.");
    /// ```
    pub fn prices(&self, currency: &str, blank_mm: Option<f64>) -> Prices {
        let written = self.currency.as_deref().unwrap_or(currency);
        let money = |amount: Decimal| format!("{:.2} {written}", amount.round_dp(2)).trim_end().to_owned();
        let per = [(self.per_metre, "metre"), (self.per_gram, "gram")];
        let per: Vec<String> =
            per.iter().filter_map(|(price, of)| Some(format!("{} a {of}", money((*price)?)))).collect();
        let of_blank = |mm| match self.price_of(mm) {
            Some(price) => text!("listing-for-wire-one", price = money(price)),
            None => text!("listing-line-gives-no-price").to_owned(),
        };
        let foreign = written != currency && !currency.is_empty();
        Prices {
            text: (!per.is_empty()).then(|| text!("listing-that", per = per.join(", "))),
            of_blank: blank_mm.map(of_blank),
            foreign: foreign.then(|| text!("listing-line-gives-but-you-use", written, currency)),
        }
    }

    /// The wire it sells, where metal and size are known; soft and round where it does not say.
    ///
    /// ```
    /// use lorimant_core::rack::listing::decode;
    /// use lorimant_core::words::length::Habits;
    ///
    /// assert_eq!(decode("copper 1 mm", Habits::default()).wire().unwrap().size_mm, 1.0);
    /// assert!(decode("copper, thin", Habits::default()).wire().is_none(), "no size, no wire");
    /// ```
    pub fn wire(&self) -> Option<Wire> {
        Some(Wire {
            metal: self.metal?,
            section: self.section.unwrap_or(Section::Round),
            size_mm: self.size_mm?,
            temper: self.temper.unwrap_or(Temper::Soft),
            surface: Surface::Bare,
            lot: None,
        })
    }
}
