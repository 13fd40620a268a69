//! Everything on the rack as one JSON document.

use lorimant_core::fault::{Fault, Faults};
use lorimant_core::rack::stock::buying::StockLevel;
use lorimant_core::rack::stock::scrap::ScrapChange;
use lorimant_core::rack::stock::{Lot, Movement};
use serde::{Deserialize, Deserializer, Serialize};
use utoipa::ToSchema;

use super::said_version;
use lorimant_text::text;

const FORMAT: &str = "lorimant-rack";

/// Everything on the rack. Schema: `docs/schema/rack.schema.json`.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct RackDocument {
    /// Always `lorimant-rack`.
    #[serde(deserialize_with = "right_format")]
    pub format: String,
    /// Version of this format: 1.
    #[serde(deserialize_with = "said_version")]
    pub version: u32,
    /// Lots with their ledgers.
    #[serde(default)]
    pub lots: Vec<LotWithLedger>,
    /// How wires are kept.
    #[serde(alias = "keepings", default)]
    pub stock_levels: Vec<StockLevel>,
    /// Scrap by metal and cleanliness.
    #[serde(default)]
    pub scrap: Vec<ScrapChange>,
    /// What is picked to be made.
    #[serde(default)]
    pub picks: Vec<NamedPick>,
    /// Lines for lots that are on the rack already; only brought in.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub movements: Vec<NamedMovement>,
}

/// A lot, and what came in and went out, oldest first.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct LotWithLedger {
    /// The lot.
    pub lot: Lot,
    /// Its lines that stand; those that were reversed are left out.
    pub ledger: Vec<Movement>,
}

/// A line of the ledger by the name of its lot.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct NamedMovement {
    /// Name of a lot on the rack.
    pub lot: String,
    /// The line.
    pub line: Movement,
}

/// A pick by the name of its plan or pattern.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct NamedPick {
    /// Name of a kept plan or pattern.
    pub name: String,
    /// What it stands for, in a sentence, lengths in mm: which it is where several have the name.
    #[serde(alias = "says", default, skip_serializing_if = "String::is_empty")]
    pub description: String,
    /// How many.
    pub pieces_n: u32,
}

fn right_format<'de, D: Deserializer<'de>>(from: D) -> Result<String, D::Error> {
    super::said_format(from, FORMAT)
}

impl RackDocument {
    pub fn of(
        lots: Vec<LotWithLedger>,
        stock_levels: Vec<StockLevel>,
        scrap: Vec<ScrapChange>,
        picks: Vec<NamedPick>,
    ) -> Self {
        Self { format: FORMAT.to_owned(), version: 1, lots, stock_levels, scrap, picks, movements: vec![] }
    }

    /// Everything wrong with it, each at its place in the file.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        for (i, one) in self.lots.iter().enumerate() {
            faults.nest(&format!("lots[{i}].lot"), one.lot.check());
            for (k, line) in one.ledger.iter().enumerate() {
                faults.nest(&format!("lots[{i}].ledger[{k}]"), line.check());
            }
        }
        for (i, keeping) in self.stock_levels.iter().enumerate() {
            faults.nest(&format!("keepings[{i}]"), keeping.check());
        }
        for (i, change) in self.scrap.iter().enumerate() {
            faults.nest(&format!("scrap[{i}]"), change.check());
        }
        for (i, one) in self.movements.iter().enumerate() {
            faults.nest(&format!("movements[{i}].line"), one.line.check());
        }
        let records = [
            self.lots.len(),
            self.stock_levels.len(),
            self.scrap.len(),
            self.picks.len(),
            self.movements.len(),
        ];
        if records.iter().sum::<usize>() == 0 {
            faults.add(Fault::new("lots", text!("api-rack-file-holds-no-lots-keepings")));
        }
        faults.into_result()
    }
}
