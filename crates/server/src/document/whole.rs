//! All of a workshop as lines of JSON: one record a line, in an order that can be read back line by line, however
//! many there are. What stands there is what the file has, with numbers, revisions and times, but no passphrase.

use lorimant_core::bench::EventKind;
use lorimant_core::learn::measured::ReadFrom;
use serde::{Deserialize, Serialize};
use serde_json::Value;
use utoipa::ToSchema;

use crate::kept::Settings;

/// The format such a file says it is of.
pub(crate) const FORMAT: &str = "lorimant-workshop";
/// Its version.
pub(crate) const VERSION: u32 = 1;

/// A line of the file. The first is a heading, the last says how many there were.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "is", rename_all = "kebab-case", deny_unknown_fields)]
pub(crate) enum Line {
    /// What the file is.
    Workshop {
        /// Always `lorimant-workshop`.
        format: String,
        /// 1.
        version: u32,
    },
    /// The settings.
    Settings {
        /// How often they were changed.
        revision: i64,
        /// They.
        record: Box<Settings>,
    },
    /// Writes that were made together.
    Batch {
        /// Their number.
        id: i64,
        /// When, UTC.
        made_at: String,
        /// From which device, where it is known.
        #[serde(default, skip_serializing_if = "String::is_empty")]
        device: String,
    },
    /// A kept record, those put away among them.
    Entry(EntryLine),
    /// A write of a record, with what stood there before.
    Change(ChangeLine),
    /// A line of the ledger of a lot or a pile of scrap.
    Ledger(LedgerLine),
    /// What happened to a batch at the bench.
    Happened(HappenedLine),
    /// A reading of a check.
    Reading(ReadingLine),
    /// The end.
    End {
        /// How many lines stand before it.
        lines_n: u64,
    },
}

/// A kept record.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub(crate) struct EntryLine {
    /// Its number.
    pub id: i64,
    /// `plan`, `pattern`, `rod`, `plier`, `blade`, `lot`, `keeping`, `pick`, `batch`, `order`,
    /// `bag`, `hold` or `check`.
    pub shelf: String,
    /// The record.
    pub record: Value,
    /// How often it was changed.
    pub revision: i64,
    /// Whether it was put away.
    pub archived: bool,
    /// When it was first kept, UTC.
    pub created_at: String,
    /// When it was last changed, UTC.
    pub updated_at: String,
}

/// A write of a record.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub(crate) struct ChangeLine {
    /// Its number.
    pub id: i64,
    /// What it was written together with.
    pub batch: i64,
    /// Number of the record.
    pub entry: i64,
    /// What stood there before; nothing where it is new.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub before: Option<Stood>,
    /// The record's revision after it.
    pub revision: i64,
    /// When, UTC.
    pub made_at: String,
}

/// How a record stood.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct Stood {
    /// The record.
    pub record: Value,
    /// Whether it was put away.
    pub archived: bool,
}

/// A line of the ledger, of a lot or of a pile.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub(crate) struct LedgerLine {
    /// Its number.
    pub id: i64,
    /// What it was booked together with.
    pub batch: i64,
    /// Number of the lot.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub lot: Option<i64>,
    /// Metal and cleanliness of the pile.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub pile: Option<String>,
    /// Why the amount changes: bought, cut, scrapped.
    pub kind: String,
    /// Of a lot the change in thousandths of a millimetre, of a pile in milligrams.
    pub amount: i64,
    /// What for.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub note: String,
    /// When, UTC.
    pub made_at: String,
    /// The line it takes back.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub reverses: Option<i64>,
}

/// What happened to a batch at the bench.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub(crate) struct HappenedLine {
    /// Its number.
    pub id: i64,
    /// Its own key.
    pub key: String,
    /// Number of the batch's record.
    pub entry: i64,
    /// The step, from 1.
    pub step_n: u32,
    /// What happened.
    pub happened: EventKind,
    /// To how many.
    pub n: u32,
    /// Why they were scrapped.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub reason: String,
    /// When, UTC.
    pub made_at: String,
    /// The batch of writes that booked wire or scrap with it.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub booked: Option<i64>,
    /// From which device, where it is known.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub device: String,
}

/// A reading of a check.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub(crate) struct ReadingLine {
    /// Its number.
    pub id: i64,
    /// Its own key.
    pub key: String,
    /// Number of the check's record.
    pub entry: i64,
    /// Which piece.
    pub piece_n: u32,
    /// Which dimension.
    pub dimension: String,
    /// What was read, mm, or the grade.
    pub value: f64,
    /// Where it came from.
    pub source: ReadFrom,
    /// When, UTC.
    pub made_at: String,
    /// Whether it was set aside.
    #[serde(alias = "aside")]
    pub excluded: bool,
    /// From which device, where it is known.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub device: String,
}
