//! The records a workshop keeps.

use jiff::Timestamp;
use jiff::civil::Date;
use jiff::tz::TimeZone;
use lorimant_core::bench::Batch;
use lorimant_core::bench::schedule::agenda::ScheduleChange;
use lorimant_core::bench::schedule::hours::Hours;
use lorimant_core::chain::ChainRequest;
use lorimant_core::chain::weave::Weave;
use lorimant_core::fault::{Fault, Faults, check_text};
use lorimant_core::learn::check::PieceCheck;
use lorimant_core::order::{Bag, Order};
use lorimant_core::pattern::{self, MOST_PIECES, PatternRequest};
use lorimant_core::piece::Piece;
use lorimant_core::rack::stock::buying::StockLevel;
use lorimant_core::rack::stock::scrap::MetalPrice;
use lorimant_core::rack::stock::{Lot, check_money};
use lorimant_core::ring::{self, RingRequest};
use lorimant_core::tool::cutting::Blade;
use lorimant_core::tool::gear::Gear;
use lorimant_core::tool::hand::HandSpread;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::method::Methods;
use lorimant_core::tool::plier::Plier;
use lorimant_core::tool::tolerance::Tolerances;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::gauge::GaugeSystem;
use lorimant_core::words::length::{Habits, LengthUnit};
use lorimant_core::words::{quoted, sentence};
use rust_decimal::Decimal;
use serde::{Deserialize, Serialize};
use serde_json::Value;
use utoipa::ToSchema;

use crate::paper::LabelPaper;
use lorimant_text::text;

/// A ring plan with its name.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct KeptPlan {
    /// Its name, 1 to 80 characters.
    pub name: String,
    /// A note, at most 2000 characters.
    #[serde(default)]
    pub note: String,
    /// What was planned.
    pub request: RingRequest,
}

/// A finding with its name.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct KeptPattern {
    /// Its name, 1 to 80 characters.
    pub name: String,
    /// A note, at most 2000 characters.
    #[serde(default)]
    pub note: String,
    /// The finding.
    pub request: PatternRequest,
}

/// A chain with its name.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct KeptChain {
    /// Its name, 1 to 80 characters.
    pub name: String,
    /// A note, at most 2000 characters.
    #[serde(default)]
    pub note: String,
    /// The chain.
    pub request: ChainRequest,
}

/// A saw blade the workshop owns.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct KeptBlade {
    /// The blade, by its number.
    pub blade: Blade,
    /// A note, at most 200 characters.
    #[serde(default)]
    pub note: String,
}

/// How the workshop likes things.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct Settings {
    /// The workshop's name, printed on sheets and labels; at most 60 characters.
    #[serde(default)]
    pub workshop_name: String,
    /// Which unit comes first, and that of a bare number.
    pub unit: LengthUnit,
    /// System of a bare gauge.
    pub gauge: GaugeSystem,
    /// Light, dark, or as the device has it.
    pub theme: Theme,
    /// What the workshop reckons in, as it is written behind an amount; at most 8 characters.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub currency: String,
    /// The maker's own hour rate.
    #[serde(default)]
    #[schema(value_type = String)]
    pub hour_rate: Decimal,
    /// What a gram of each metal is reckoned at.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub metal_prices: Vec<MetalPrice>,
    /// How even the handwork is.
    #[serde(default)]
    pub hand: HandSpread,
    /// The workshop's methods, where makers differ.
    #[serde(default, alias = "schools")]
    pub methods: Methods,
    /// What else stands on its bench.
    #[serde(default)]
    pub gear: Gear,
    /// When somebody sits at the bench.
    #[serde(default)]
    pub hours: Hours,
    /// The time zone its clock on the wall goes by, as `Europe/Vienna`; the machine's if left out.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub time_zone: String,
    /// How far a made piece may be off its drawing.
    #[serde(default)]
    pub tolerances: Tolerances,
    /// The labels it prints.
    #[serde(default)]
    pub labels: LabelPaper,
}

/// What is picked to be made: a kept plan or pattern, and how many.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct Pick {
    /// The number of a kept plan, pattern or chain.
    pub entry: i64,
    /// How many rings, pieces, pairs or chains: 1 to 100 000.
    pub pieces_n: u32,
}

/// Light, dark, or as the device has it.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "kebab-case")]
pub(crate) enum Theme {
    /// As the device has it.
    Device,
    /// Light.
    Light,
    /// Dark.
    Dark,
}

impl Default for Settings {
    fn default() -> Self {
        let Habits { unit, gauge } = Habits::default();
        Self {
            workshop_name: String::new(),
            unit,
            gauge,
            theme: Theme::Device,
            currency: String::new(),
            hour_rate: Decimal::ZERO,
            metal_prices: vec![],
            hand: HandSpread::default(),
            methods: Methods::default(),
            gear: Gear::default(),
            hours: Hours::default(),
            time_zone: String::new(),
            tolerances: Tolerances::default(),
            labels: LabelPaper::default(),
        }
    }
}

impl Settings {
    pub fn habits(&self) -> Habits {
        Habits { unit: self.unit, gauge: self.gauge }
    }

    /// The clock on the workshop's wall.
    pub fn zone(&self) -> TimeZone {
        TimeZone::get(&self.time_zone).unwrap_or_else(|_| TimeZone::system())
    }

    /// The day it is by that clock.
    pub fn today(&self) -> Date {
        Timestamp::now().to_zoned_datetime(self.zone()).date()
    }

    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.keep(check_text("workshop_name", text!("api-kept-workshops-name"), &self.workshop_name, 60));
        faults.keep(check_text("currency", text!("noun-currency"), &self.currency, 8));
        faults.keep(check_money("hour_rate", Some(self.hour_rate)));
        faults.nest("hand", self.hand.check());
        faults.nest("methods", self.methods.check());
        faults.nest("tolerances", self.tolerances.check());
        faults.nest("gear", self.gear.check());
        faults.nest("hours", self.hours.check());
        faults.nest("labels", self.labels.check());
        if !self.time_zone.is_empty() && TimeZone::get(&self.time_zone).is_err() {
            let message = text!("api-kept-there-no-time-zone-write", time_zone = quoted(&self.time_zone));
            faults.add(Fault::new("time_zone", message));
        }
        for (i, price) in self.metal_prices.iter().enumerate() {
            faults.keep(check_money(&format!("metal_prices[{i}].per_gram"), Some(price.per_gram)));
        }
        faults.into_result()
    }
}

/// Something that stands on a shelf.
pub(crate) trait Kept: Serialize + serde::de::DeserializeOwned {
    /// What lists search and sort by.
    fn name(&self) -> String;
    /// What it is called, in the unit the workshop reads first.
    fn called(&self, _unit: LengthUnit) -> String {
        self.name()
    }
    /// What it stands for, in a sentence; nothing where the name says it all.
    fn sentence(&self, _unit: LengthUnit) -> String {
        String::new()
    }
    /// Everything wrong with it.
    fn check(&self) -> Result<(), Faults>;
    /// The record as it is written into the file: it says all that makes it what it is.
    fn written(&self) -> serde_json::Result<String> {
        let mut record = serde_json::to_value(self)?;
        settle(&mut record)?;
        serde_json::to_string(&record)
    }
}

/// Has every finding in a record say all its sizes, so that it stays this piece whatever becomes usual later.
fn settle(record: &mut Value) -> serde_json::Result<()> {
    match record {
        Value::Object(fields) if fields.contains_key("kind") && fields.contains_key("wire") => {
            if let Ok(request) = serde_json::from_value::<PatternRequest>(Value::Object(fields.clone())) {
                *record = serde_json::to_value(request.settled())?;
            }
            Ok(())
        }
        Value::Object(fields) => fields.values_mut().try_for_each(settle),
        Value::Array(all) => all.iter_mut().try_for_each(settle),
        _ => Ok(()),
    }
}

impl Kept for KeptPlan {
    fn name(&self) -> String {
        self.name.clone()
    }

    fn sentence(&self, unit: LengthUnit) -> String {
        let plan = self.request.plan().ok();
        sentence::text(&ring::sentence::write(&self.request, plan.as_ref(), unit))
    }

    fn check(&self) -> Result<(), Faults> {
        named("plan", &self.name, &self.note, self.request.plan().err())
    }
}

impl Kept for KeptPattern {
    fn name(&self) -> String {
        self.name.clone()
    }

    fn sentence(&self, unit: LengthUnit) -> String {
        sentence::text(&pattern::sentence::write(&self.request, unit))
    }

    fn check(&self) -> Result<(), Faults> {
        named("pattern", &self.name, &self.note, self.request.form().err())
    }
}

impl Kept for KeptChain {
    fn name(&self) -> String {
        self.name.clone()
    }

    fn sentence(&self, unit: LengthUnit) -> String {
        Piece::Chain(Box::new(self.request.clone())).sentence(unit)
    }

    fn check(&self) -> Result<(), Faults> {
        named("chain", &self.name, &self.note, self.request.check_as_known().err())
    }
}

impl Kept for Weave {
    fn name(&self) -> String {
        self.name.clone()
    }

    fn check(&self) -> Result<(), Faults> {
        Weave::check(self)
    }
}

impl Kept for Plier {
    fn name(&self) -> String {
        self.shown()
    }

    fn check(&self) -> Result<(), Faults> {
        Plier::check(self)
    }
}

impl Kept for Lot {
    fn name(&self) -> String {
        self.name.clone()
    }

    fn sentence(&self, unit: LengthUnit) -> String {
        Lot::sentence(self, unit)
    }

    fn check(&self) -> Result<(), Faults> {
        Lot::check(self)
    }
}

impl Kept for StockLevel {
    fn name(&self) -> String {
        self.wire.shown(LengthUnit::Mm)
    }

    fn called(&self, unit: LengthUnit) -> String {
        self.wire.shown(unit)
    }

    fn check(&self) -> Result<(), Faults> {
        StockLevel::check(self)
    }
}

impl Kept for Batch {
    fn name(&self) -> String {
        self.name.clone()
    }

    fn sentence(&self, unit: LengthUnit) -> String {
        self.piece.sentence(unit)
    }

    fn check(&self) -> Result<(), Faults> {
        Batch::check(self)
    }
}

impl Kept for PieceCheck {
    fn name(&self) -> String {
        self.name.clone()
    }

    fn sentence(&self, unit: LengthUnit) -> String {
        self.piece.sentence(unit)
    }

    fn check(&self) -> Result<(), Faults> {
        PieceCheck::check(self, &Workshop::default())
    }
}

impl Kept for Order {
    fn name(&self) -> String {
        self.for_whom()
    }

    fn sentence(&self, _unit: LengthUnit) -> String {
        Order::sentence(self)
    }

    fn check(&self) -> Result<(), Faults> {
        Order::check(self)
    }
}

impl Kept for Bag {
    fn name(&self) -> String {
        self.name.clone()
    }

    fn sentence(&self, unit: LengthUnit) -> String {
        self.piece.sentence(unit)
    }

    fn check(&self) -> Result<(), Faults> {
        Bag::check(self)
    }
}

impl Kept for ScheduleChange {
    fn name(&self) -> String {
        match self {
            Self::NotBefore { step_n, .. } => text!("api-kept-step-pinned", step_n),
            Self::Parted { step_n, .. } => text!("api-kept-step-split", step_n),
            Self::Skipped { .. } => "skipped".to_owned(),
        }
    }

    fn check(&self) -> Result<(), Faults> {
        Ok(())
    }
}

impl Kept for Pick {
    fn name(&self) -> String {
        text!("api-kept-of", pieces_n = self.pieces_n, entry = self.entry)
    }

    fn check(&self) -> Result<(), Faults> {
        if self.pieces_n == 0 || self.pieces_n > MOST_PIECES {
            let message = text!("api-kept-not-number-pieces-enter-1", pieces_n = self.pieces_n, MOST_PIECES);
            return Err(Fault::new("pieces_n", message).limit(f64::from(MOST_PIECES)).into());
        }
        Ok(())
    }
}

/// Checks what has a name and a note, together with what is wrong with its request.
fn named(noun: &str, name: &str, note: &str, request: Option<Faults>) -> Result<(), Faults> {
    let mut faults = Faults::none();
    if name.trim().is_empty() {
        let message = text!("api-kept-enter-name-for", noun);
        faults.add(Fault::new("name", message));
    }
    faults.keep(check_text("name", text!("noun-name"), name, 80));
    faults.keep(check_text("note", text!("noun-note"), note, 2000));
    faults.nest("request", request.map_or(Ok(()), Err));
    faults.into_result()
}

impl Kept for Mandrel {
    fn name(&self) -> String {
        self.shown()
    }

    fn called(&self, unit: LengthUnit) -> String {
        self.shown_in(unit)
    }

    fn check(&self) -> Result<(), Faults> {
        Mandrel::check(self)
    }
}

impl Kept for KeptBlade {
    fn name(&self) -> String {
        self.blade.shown().to_owned()
    }

    fn check(&self) -> Result<(), Faults> {
        Ok(check_text("note", text!("noun-note"), &self.note, 200)?)
    }
}
