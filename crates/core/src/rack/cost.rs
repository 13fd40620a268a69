//! What a piece costs to make, against what it costs to buy.

use rust_decimal::Decimal;
use rust_decimal::prelude::{FromPrimitive as _, ToPrimitive as _};
use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span};
use crate::piece::{Blanks, Piece};
use crate::rack::stock::check_money;
use crate::rack::stock::price::{PriceFrom, Rack};
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::words::length::LengthUnit;
use crate::words::scale::sold_by;
use lorimant_text::{Text, text};

/// What goes into pieces of one kind. Money in the workshop's currency.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct CostRequest {
    /// Wire for one piece as cut, its trims included, mm.
    pub wire_mm: f64,
    /// Share of the wire that is lost besides: rests, trials, spoilt pieces; 0 to 1.
    #[serde(default)]
    pub loss_share: f64,
    /// What a metre of the wire costs, or a foot.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub wire_price: Decimal,
    /// Whether that is the price of a foot, as where inches are read first.
    #[serde(default, skip_serializing_if = "std::ops::Not::not")]
    pub price_of_foot: bool,
    /// Blades, abrasives, fuel and the like for one piece.
    #[serde(default)]
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub consumables: Decimal,
    /// Hand time for one piece, minutes.
    pub minutes: f64,
    /// Hand time that is spent once, whatever the count: finding the mark, making the first, minutes.
    #[serde(default)]
    pub setting_up_minutes: f64,
    /// The maker's own hour rate.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub hour_rate: Decimal,
    /// What one, or a pair, costs bought.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub bought: Option<Decimal>,
    /// Whether that is the price of a pair, as what is counted in pairs is sold.
    #[serde(default, skip_serializing_if = "std::ops::Not::not")]
    pub bought_pair: bool,
    /// How many are made.
    pub pieces_n: u32,
}

/// What they cost. Money in the workshop's currency, to a hundredth of its smallest coin.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Cost {
    /// Wire of one, losses included.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub wire: Decimal,
    /// Consumables of one.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub consumables: Decimal,
    /// Hand time of one, setting up shared out over all.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub hand: Decimal,
    /// One piece.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub each: Decimal,
    /// A pair.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub pair: Decimal,
    /// All of them.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub all: Decimal,
    /// From how many on making them is cheaper than buying; none where it never is, or no price is given.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub break_even_n: Option<u32>,
    /// What an hour at the bench earns against buying; none where no price or no time is given.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub hour_earns: Option<Decimal>,
    /// The sum for one piece, with its numbers.
    pub working: String,
    /// What it comes to against buying, in a sentence.
    pub text: String,
}

/// What is known of a piece's cost before anything is typed.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct CostStart {
    /// Filled in as far as it is known: wire, its price, the hour rate, how many, the minutes of its route.
    pub request: CostRequest,
    /// The wire in words.
    pub wire_label: String,
    /// Where its price comes from, in a sentence.
    pub price_from: String,
}

impl CostStart {
    /// Starts from a plan or finding: its wire as cut, at what the lots of that wire cost on the average,
    /// or, where none has a price, at the metal's.
    ///
    /// # Errors
    /// The faults of the plan or finding.
    pub fn of(piece: &Piece, rack: &Rack, hour_rate: Decimal, workshop: &Workshop) -> Result<Self, Faults> {
        let unit = workshop.habits.unit;
        let finished = piece.finished(workshop)?;
        let tenths = |minutes: f64| (minutes * 10.0).round() / 10.0;
        let cut = &finished.cut;
        let blanks_n: u32 = cut.iter().map(|(_, blanks)| blanks.n).sum();
        // Rings are cut from coils: what one costs is its share of them.
        let pieces_n = match piece {
            Piece::Rings(request) => request.rings_n,
            Piece::Finding(_) => blanks_n,
            Piece::Chain(request) => request.chains_n,
        };
        // What a ring of a chain takes, times its rings, is what a chain takes.
        let rings_each = match piece {
            Piece::Chain(_) => f64::from(piece.workpieces_n()) / f64::from(pieces_n.max(1)),
            _ => 1.0,
        };
        // To a tenth of a millimetre: nobody cuts finer.
        let of_one =
            |blanks: &Blanks| tenths(blanks.length_mm * f64::from(blanks.n) / f64::from(pieces_n.max(1)));
        let wire_mm: f64 = cut.iter().map(|(_, blanks)| of_one(blanks)).sum();
        // Of several wires each counts by its length.
        let mut price_of_metre = Decimal::ZERO;
        let mut price_from: Vec<String> = vec![];
        for (of, blanks) in cut {
            let (metre, from) = priced(rack, of);
            let share = if wire_mm > 0.0 { of_one(blanks) / wire_mm } else { 0.0 };
            price_of_metre += metre * if cut.len() > 1 { decimal(share) } else { Decimal::ONE };
            price_from.push(if cut.len() > 1 { format!("{}: {from}", of.shown(unit)) } else { from });
        }
        let (_, long_mm) = sold_by(unit);
        let request = CostRequest {
            wire_mm,
            loss_share: 0.05,
            wire_price: (price_of_metre * decimal(long_mm / 1000.0)).round_dp(4),
            price_of_foot: unit == LengthUnit::Inch,
            consumables: Decimal::ZERO,
            minutes: tenths(finished.totals.each_min * rings_each),
            setting_up_minutes: tenths(finished.totals.setting_up_min),
            hour_rate,
            bought: None,
            bought_pair: matches!(piece, Piece::Finding(request) if request.in_pairs()),
            pieces_n,
        };
        let wires: Vec<String> = cut.iter().map(|(wire, _)| wire.shown(unit)).collect();
        Ok(Self { request, wire_label: wires.join(text!("sentence-and")), price_from: price_from.join(" ") })
    }
}

/// What a metre of a wire costs, and where that is known from, in a sentence.
fn priced(rack: &Rack, wire: &Wire) -> (Decimal, String) {
    match rack.per_metre(wire) {
        Some((mean, PriceFrom::Lots(n))) => {
            let lots = if n == 1 { text!("rack-cost-lot").to_owned() } else { text!("rack-cost-lots", n) };
            (mean, text!("rack-cost-price-from-this-wire-in", lots))
        }
        Some((metre, PriceFrom::Metal)) => (metre, text!("rack-cost-no-lot-this-wire-has").to_owned()),
        None => (Decimal::ZERO, text!("rack-cost-neither-this-wire-nor-its").to_owned()),
    }
}

fn decimal(value: f64) -> Decimal {
    Decimal::from_f64(value).unwrap_or_default()
}

impl CostRequest {
    const WIRE: Span =
        Span { noun: Text::named("rack-cost-wire-for-piece"), unit: " mm", least: 0.1, most: 100_000.0 };
    const LOSS: Span =
        Span { noun: Text::named("rack-cost-share-that-lost"), unit: "", least: 0.0, most: 1.0 };
    const MINUTES: Span =
        Span { noun: Text::named("rack-cost-hand-time"), unit: " min", least: 0.0, most: 10_000.0 };

    /// Checks everything about it.
    ///
    /// # Errors
    /// Every fault found, each at its field.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.keep(Self::WIRE.check("wire_mm", self.wire_mm));
        faults.keep(Self::LOSS.check("loss_share", self.loss_share));
        faults.keep(Self::MINUTES.check("minutes", self.minutes));
        faults.keep(Self::MINUTES.check("setting_up_minutes", self.setting_up_minutes));
        for (field, amount) in [
            ("wire_price", self.wire_price),
            ("consumables", self.consumables),
            ("hour_rate", self.hour_rate),
        ] {
            faults.keep(check_money(field, Some(amount)));
        }
        faults.keep(check_money("bought", self.bought));
        if self.pieces_n == 0 || self.pieces_n > 1_000_000 {
            let message = text!("rack-cost-not-number-pieces-enter-1", pieces_n = self.pieces_n);
            faults.add(Fault::new("pieces_n", message).limit(1_000_000.0));
        }
        faults.into_result()
    }

    /// Works out what they cost.
    ///
    /// One: wire · (1 + loss) · price + consumables + (minutes + setting up / n) · rate. Break-even where
    /// n · (bought − cost without setting up) first covers the setting up. The hour earns what is saved on
    /// buying, less wire and consumables, over the hours it takes.
    ///
    /// ```
    /// use lorimant_core::rack::cost::CostRequest;
    ///
    /// let request: CostRequest = serde_json::from_str(
    ///     r#"{"pieces_n": 10, "wire_mm": 100, "wire_price": "5.00", "minutes": 6, "hour_rate": "20.00"}"#,
    /// ).unwrap();
    /// // A decimetre of wire at half a coin, six minutes at two.
    /// assert_eq!(request.cost().unwrap().each, "2.50".parse().unwrap());
    /// ```
    ///
    /// # Errors
    /// As [`CostRequest::check`].
    pub fn cost(&self) -> Result<Cost, Faults> {
        self.check()?;
        let n = Decimal::from(self.pieces_n);
        let sixty = Decimal::from(60);
        let (long, long_mm) = sold_by(if self.price_of_foot { LengthUnit::Inch } else { LengthUnit::Mm });
        let lengths = decimal(self.wire_mm / long_mm * (1.0 + self.loss_share));
        let wire = lengths * self.wire_price;
        let once = decimal(self.setting_up_minutes) * self.hour_rate / sixty;
        let hand = decimal(self.minutes) * self.hour_rate / sixty;
        let running = wire + self.consumables + hand;
        let each = running + once / n;
        let material = wire + self.consumables;
        let hours = (decimal(self.minutes) * n + decimal(self.setting_up_minutes)) / sixty;
        let one_bought = self.bought.map(|price| if self.bought_pair { price / Decimal::TWO } else { price });
        let break_even_n = one_bought.and_then(|bought| {
            let saved = bought - running;
            (saved > Decimal::ZERO)
                .then(|| (once / saved).floor().to_u32().map(|n| n.saturating_add(1)))
                .flatten()
        });
        let hour_earns = one_bought
            .filter(|_| hours > Decimal::ZERO)
            .and_then(|bought| ((bought - material) * n).checked_div(hours))
            .map(|earned| earned.round_dp(2));
        let money = |amount: Decimal| amount.round_dp(4).normalize();
        let working = text!(
            "rack-cost-min-h",
            lengths = money(lengths),
            long,
            wire_price = money(self.wire_price),
            consumables = money(self.consumables),
            minutes = money(decimal(self.minutes)),
            hour_rate = money(self.hour_rate),
            value = if self.setting_up_minutes > 0.0 {
                format!(" + {} / {n}", money(once))
            } else {
                String::new()
            },
            each = money(each)
        );
        let one = if self.bought_pair { text!("rack-cost-pair") } else { text!("rack-cost-one") };
        let unpaid = if hours > Decimal::ZERO { "" } else { text!("rack-cost-your-time-not-counted-yet") };
        let text = match (self.bought, break_even_n, hour_earns) {
            (None, ..) => text!("rack-cost-enter-what-costs-buy-see", one),
            (Some(bought), None, earns) => {
                let earns = earns.map_or(String::new(), |e| text!("rack-cost-your-hour-earns-less-than", e));
                text!("rack-cost-bought-for-never-cheaper-make", bought = money(bought), one, earns)
            }
            (Some(_), Some(count), earns) => {
                let from = if count <= 1 {
                    text!("rack-cost-making-pays-from-first-piece").to_owned()
                } else {
                    text!("rack-cost-making-pays-from-pieces", count)
                };
                earns.map_or(from.clone(), |e| text!("rack-cost-your-hour-earns-compared-with", from, e))
            }
        };
        let text = format!("{unpaid}{text}");
        Ok(Cost {
            wire: wire.round_dp(4),
            consumables: self.consumables,
            hand: (hand + once / n).round_dp(4),
            each: each.round_dp(4),
            pair: (each * Decimal::TWO).round_dp(4),
            all: (each * n).round_dp(2),
            break_even_n,
            hour_earns,
            working,
            text,
        })
    }
}
