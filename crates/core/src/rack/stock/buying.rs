//! How a wire is kept: its shortest useful length, when it is low, and how it is sold.

use rust_decimal::Decimal;
use serde::{Deserialize, Serialize};

use super::check_money;
use crate::fault::{Faults, Span, check_text};
use crate::wire::Wire;
use crate::words::length::LengthUnit;
use crate::words::scale::of_wire;
use lorimant_text::{Text, text};

/// How one wire is kept on the rack.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct StockLevel {
    /// The wire.
    pub wire: Wire,
    /// A rest shorter than this is scrap, mm; [`shortest_useful_mm`] if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub shortest_useful_mm: Option<f64>,
    /// There should always be this much of it, mm.
    #[serde(default)]
    pub keep_mm: f64,
    /// How it is sold: a whole pack, mm.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub pack_mm: Option<f64>,
    /// Price of a pack, in the workshop's currency.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub pack_price: Option<Decimal>,
    /// Where it is bought, at most 120 characters.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub source: String,
}

/// The shortest rest worth keeping where the maker has not said: what two hands can still hold and
/// roll a small loop of, 30 mm, more for thick wire (25 thicknesses). Our reckoning.
///
/// ```
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
/// use lorimant_core::rack::stock::buying::shortest_useful_mm;
///
/// let of = |size_mm| shortest_useful_mm(&Wire::round(Metal::Copper, size_mm, Temper::Soft));
/// assert_eq!((of(0.5), of(2.0)), (30.0, 50.0));
/// ```
pub fn shortest_useful_mm(wire: &Wire) -> f64 {
    (25.0 * wire.profile().thickness_mm()).max(30.0)
}

impl StockLevel {
    const USEFUL: Span =
        Span { noun: Text::named("buying-shortest-useful-length"), unit: " mm", least: 0.0, most: 100_000.0 };
    const KEEP: Span = Span {
        noun: Text::named("buying-length-keep-in-stock"),
        unit: " mm",
        least: 0.0,
        most: 10_000_000.0,
    };
    const PACK: Span =
        Span { noun: Text::named("buying-pack"), unit: " mm", least: 10.0, most: 10_000_000.0 };

    /// Of a wire of which nothing was said.
    pub fn unsaid(wire: Wire) -> Self {
        let source = String::new();
        Self { wire, shortest_useful_mm: None, keep_mm: 0.0, pack_mm: None, pack_price: None, source }
    }

    /// Checks everything about it.
    ///
    /// # Errors
    /// Every fault found, each at its field.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.nest("wire", self.wire.check());
        if let Some(useful) = self.shortest_useful_mm {
            faults.keep(Self::USEFUL.check("shortest_useful_mm", useful));
        }
        faults.keep(Self::KEEP.check("keep_mm", self.keep_mm));
        if let Some(pack) = self.pack_mm {
            faults.keep(Self::PACK.check("pack_mm", pack));
        }
        faults.keep(check_money("pack_price", self.pack_price));
        faults.keep(check_text("source", text!("buying-place-bought"), &self.source, 120));
        faults.into_result()
    }

    /// A rest shorter than this is scrap, mm.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::rack::stock::buying::StockLevel;
    ///
    /// let thick = StockLevel::unsaid(Wire::round(Metal::Copper, 2.0, Temper::Soft));
    /// assert_eq!(thick.useful_mm(), 50.0);
    /// assert_eq!(StockLevel { shortest_useful_mm: Some(80.0), ..thick }.useful_mm(), 80.0);
    /// ```
    pub fn useful_mm(&self) -> f64 {
        self.shortest_useful_mm.unwrap_or_else(|| shortest_useful_mm(&self.wire))
    }
}

/// What there is of a wire against what is wanted of it.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Need {
    /// The wire.
    pub wire: Wire,
    /// The wire in words.
    pub label: String,
    /// What there is of it, mm.
    pub in_stock_mm: f64,
    /// What open plans want of it, mm.
    pub wanted_mm: f64,
    /// What should be left after that, mm.
    pub keep_mm: f64,
    /// What is missing, mm; 0 where nothing is.
    pub missing_mm: f64,
    /// Whole packs to buy; none where it is not known how it is sold.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub packs_n: Option<u32>,
    /// Length of a pack, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub pack_mm: Option<f64>,
    /// What they cost.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub cost: Option<Decimal>,
    /// Where it is bought.
    pub source: String,
    /// The same in a sentence.
    pub text: String,
}

impl Need {
    /// Weighs what there is of a wire against what is wanted, and says what to buy in whole packs:
    /// ⌈(wanted + keep − there) / pack⌉.
    pub fn of(
        wire: &Wire,
        keeping: Option<&StockLevel>,
        in_stock_mm: f64,
        wanted_mm: f64,
        unit: LengthUnit,
    ) -> Self {
        let keep_mm = keeping.map_or(0.0, |k| k.keep_mm);
        let missing_mm = (wanted_mm + keep_mm - in_stock_mm).max(0.0);
        let pack_mm = keeping.and_then(|k| k.pack_mm);
        let packs = pack_mm.map(|pack| (missing_mm / pack - 1e-9).ceil().max(0.0));
        #[expect(
            clippy::cast_possible_truncation,
            clippy::cast_sign_loss,
            reason = "0 to 1e7 / 10, rounded up"
        )]
        let packs_n = packs.map(|packs| packs.min(1e6) as u32);
        let cost = match (keeping.and_then(|k| k.pack_price), packs_n) {
            (Some(price), Some(n)) => price.checked_mul(Decimal::from(n)),
            _ => None,
        };
        let metres = |mm: f64| of_wire(mm, unit);
        let buy = match (packs_n, pack_mm) {
            (Some(n), Some(pack)) if n > 0 => {
                text!("buying-buy", n = text!("count-pack", n), pack = metres(pack))
            }
            _ if missing_mm > 0.0 => text!("buying-enter-how-sold-see-number").to_owned(),
            _ => String::new(),
        };
        let label = wire.shown(unit);
        let text = if missing_mm > 0.0 {
            text!(
                "buying-in-stock-needed-keep-short",
                there_mm = metres(in_stock_mm),
                wanted_mm = metres(wanted_mm),
                keep_mm = metres(keep_mm),
                missing_mm = metres(missing_mm),
                buy
            )
        } else {
            text!(
                "buying-in-stock-needed-keep-enough",
                there_mm = metres(in_stock_mm),
                wanted_mm = metres(wanted_mm),
                keep_mm = metres(keep_mm)
            )
        };
        let source = keeping.map(|k| k.source.clone()).unwrap_or_default();
        Self {
            wire: wire.clone(),
            label,
            in_stock_mm,
            wanted_mm,
            keep_mm,
            missing_mm,
            packs_n,
            pack_mm,
            cost,
            source,
            text,
        }
    }
}

/// What there is of each wire that is kept, wanted, or both, missing ones first. `there` and `wanted`
/// name a wire as often as they like; lengths in mm.
pub fn needs(
    keepings: &[StockLevel],
    there: &[(Wire, f64)],
    wanted: &[(Wire, f64)],
    unit: LengthUnit,
) -> Vec<Need> {
    let mut wires: Vec<&Wire> = vec![];
    for wire in keepings.iter().map(|keeping| &keeping.wire).chain(wanted.iter().map(|(wire, _)| wire)) {
        if !wires.iter().any(|known| known.stands_for(wire)) {
            wires.push(wire);
        }
    }
    let sum = |of: &[(Wire, f64)], wire: &Wire| {
        of.iter().filter(|(one, _)| one.stands_for(wire)).map(|(_, mm)| mm).sum::<f64>() + 0.0
    };
    let mut needs: Vec<Need> = wires
        .into_iter()
        .map(|wire| {
            let keeping = keepings.iter().find(|keeping| keeping.wire.stands_for(wire));
            Need::of(wire, keeping, sum(there, wire), sum(wanted, wire), unit)
        })
        .collect();
    needs.sort_by_key(|need| need.missing_mm <= 0.0);
    needs
}
