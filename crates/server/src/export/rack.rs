//! The rack in open formats: everything as JSON, lots and the buying list as tables.

use lorimant_core::fault::{Fault, Faults};
use lorimant_core::metal::Temper;
use lorimant_core::section::Section;
use lorimant_core::stock::buying::{Keeping, Need};
use lorimant_core::stock::scrap::ScrapChange;
use lorimant_core::stock::{Lot, Movement, MovementKind, Surface, both_ways};
use lorimant_core::wire::Wire;
use rust_decimal::Decimal;
use serde::{Deserialize, Deserializer, Serialize};
use utoipa::ToSchema;

use super::document::said_version;
use super::plain;

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
    #[serde(default)]
    pub keepings: Vec<Keeping>,
    /// Scrap by metal and cleanliness.
    #[serde(default)]
    pub scrap: Vec<ScrapChange>,
    /// What is picked to be made.
    #[serde(default)]
    pub picks: Vec<NamedPick>,
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

/// A pick by the name of its plan or pattern.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct NamedPick {
    /// Name of a kept plan or pattern.
    pub name: String,
    /// How many.
    pub pieces_n: u32,
}

fn right_format<'de, D: Deserializer<'de>>(from: D) -> Result<String, D::Error> {
    super::document::said_format(from, FORMAT)
}

impl RackDocument {
    pub fn of(
        lots: Vec<LotWithLedger>,
        keepings: Vec<Keeping>,
        scrap: Vec<ScrapChange>,
        picks: Vec<NamedPick>,
    ) -> Self {
        Self { format: FORMAT.to_owned(), version: 1, lots, keepings, scrap, picks }
    }

    /// Everything wrong with it, each at its place in the file.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = vec![];
        let mut collect = |place: String, result: Result<(), Faults>| {
            if let Err(Faults(found)) = result {
                faults.extend(found.into_iter().map(|fault| fault.within(&place)));
            }
        };
        for (i, one) in self.lots.iter().enumerate() {
            collect(format!("lots[{i}].lot"), one.lot.check());
            for (k, line) in one.ledger.iter().enumerate() {
                collect(format!("lots[{i}].ledger[{k}]"), line.check());
            }
        }
        for (i, keeping) in self.keepings.iter().enumerate() {
            collect(format!("keepings[{i}]"), keeping.check());
        }
        for (i, change) in self.scrap.iter().enumerate() {
            collect(format!("scrap[{i}]"), change.check());
        }
        if self.lots.is_empty() && self.keepings.is_empty() && self.scrap.is_empty() && self.picks.is_empty()
        {
            faults.push(Fault::new("lots", "The file holds no lots, keepings, scrap or picks."));
        }
        if faults.is_empty() { Ok(()) } else { Err(Faults(faults)) }
    }
}

const HEADINGS: [&str; 14] = [
    "name",
    "kind",
    "metal",
    "temper",
    "section",
    "size_mm",
    "surface",
    "skin_share",
    "length_mm",
    "mass_g",
    "price",
    "bought_on",
    "tare_g",
    "note",
];

/// Lots as a table: one line a lot, with what is left of it.
pub(crate) fn lots_csv<'a>(lots: impl Iterator<Item = (&'a Lot, f64)>) -> anyhow::Result<Vec<u8>> {
    let mut table = csv::Writer::from_writer(vec![]);
    table.write_record(HEADINGS)?;
    let said = |number: Option<f64>| number.map(|n| n.to_string()).unwrap_or_default();
    for (lot, left_mm) in lots {
        let standing = lot.standing(left_mm);
        table.write_record([
            plain(&lot.name),
            lot.kind.word().to_owned(),
            lot.wire.metal.word().to_owned(),
            lot.wire.temper.word().to_owned(),
            lot.wire.section.word().to_owned(),
            lot.wire.size_mm.to_string(),
            lot.surface.word().to_owned(),
            said(lot.skin_share),
            format!("{left_mm:.3}"),
            format!("{:.3}", standing.left_g),
            standing.value.map(|value| value.to_string()).unwrap_or_default(),
            lot.bought_on.clone().unwrap_or_default(),
            said(lot.tare_g),
            plain(&lot.note),
        ])?;
    }
    table.into_inner().map_err(|error| anyhow::anyhow!("{error}"))
}

/// The buying list as a table: what is missing, in whole packs.
pub(crate) fn needs_csv(needs: &[Need]) -> anyhow::Result<Vec<u8>> {
    let mut table = csv::Writer::from_writer(vec![]);
    table.write_record([
        "wire",
        "there_mm",
        "wanted_mm",
        "keep_mm",
        "missing_mm",
        "packs",
        "pack_mm",
        "cost",
        "source",
    ])?;
    for need in needs.iter().filter(|need| need.missing_mm > 0.0) {
        table.write_record([
            plain(&need.shown),
            format!("{:.1}", need.there_mm),
            format!("{:.1}", need.wanted_mm),
            format!("{:.1}", need.keep_mm),
            format!("{:.1}", need.missing_mm),
            need.packs_n.map(|n| n.to_string()).unwrap_or_default(),
            need.pack_mm.map(|mm| mm.to_string()).unwrap_or_default(),
            need.cost.map(|cost| cost.to_string()).unwrap_or_default(),
            plain(&need.source),
        ])?;
    }
    table.into_inner().map_err(|error| anyhow::anyhow!("{error}"))
}

/// A line of a table of lots, read as far as it can be.
pub(crate) struct ReadRow {
    /// Its number in the file; the headings are line 1.
    pub line: u64,
    /// What stands under `name`.
    pub name: String,
    /// The lot and how much of it, or everything wrong with the line, by heading.
    pub read: Result<LotWithLedger, Faults>,
}

/// Reads a table of lots, line by line; commas or semicolons between the columns.
///
/// # Errors
/// Where it is no table of lots at all: no headings, unknown ones, none that say what the wire is.
pub(crate) fn read_lots(text: &str) -> Result<Vec<ReadRow>, Fault> {
    let text = text.trim_start_matches('\u{feff}');
    let first = text.lines().next().unwrap_or_default();
    let delimiter = if first.matches(';').count() > first.matches(',').count() { b';' } else { b',' };
    let mut table = csv::ReaderBuilder::new()
        .delimiter(delimiter)
        .trim(csv::Trim::All)
        .flexible(true)
        .from_reader(text.as_bytes());
    let unreadable =
        |error: csv::Error| Fault::new("file", format!("This is no table that can be read: {error}."));
    let headings: Vec<String> = table.headers().map_err(unreadable)?.iter().map(str::to_lowercase).collect();
    for heading in &headings {
        if !HEADINGS.contains(&heading.as_str()) {
            let shown: String = heading.chars().take(40).collect();
            let said = format!("“{shown}” is no heading known here. Known: {}.", HEADINGS.join(", "));
            return Err(Fault::new("line 1", said));
        }
    }
    for wanted in ["name", "metal", "size_mm"] {
        if !headings.iter().any(|heading| heading == wanted) {
            return Err(Fault::new(
                "line 1",
                format!("There is no column “{wanted}”. Headings stand in the first line."),
            ));
        }
    }
    let mut rows = vec![];
    for record in table.records() {
        let record = record.map_err(unreadable)?;
        let line = record.position().map_or(0, csv::Position::line);
        let cells = Cells { headings: &headings, record: &record };
        rows.push(ReadRow { line, name: cells.text("name"), read: cells.lot() });
    }
    Ok(rows)
}

struct Cells<'a> {
    headings: &'a [String],
    record: &'a csv::StringRecord,
}

impl Cells<'_> {
    fn text(&self, heading: &str) -> String {
        let at = self.headings.iter().position(|one| one == heading);
        let cell = at.and_then(|at| self.record.get(at)).unwrap_or_default();
        // The apostrophe kept a spreadsheet from taking the text for a formula.
        cell.strip_prefix('\'').filter(|rest| plain(rest) == cell).unwrap_or(cell).to_owned()
    }

    fn word<T: std::str::FromStr<Err: std::fmt::Display>>(
        &self,
        heading: &str,
        faults: &mut Vec<Fault>,
    ) -> Option<T> {
        let cell = self.text(heading).to_lowercase();
        if cell.is_empty() {
            return None;
        }
        cell.parse().map_err(|error: T::Err| faults.push(Fault::new(heading, error.to_string()))).ok()
    }

    fn number(&self, heading: &str, faults: &mut Vec<Fault>) -> Option<f64> {
        let cell = self.text(heading);
        if cell.is_empty() {
            return None;
        }
        let read = cell.replace(',', ".").parse::<f64>().ok().filter(|number| number.is_finite());
        if read.is_none() {
            let shown: String = cell.chars().take(40).collect();
            faults.push(Fault::new(heading, format!("“{shown}” is no number. Write it as 12.5.")));
        }
        read
    }

    fn price(&self, faults: &mut Vec<Fault>) -> Option<Decimal> {
        let cell = self.text("price");
        let read = cell.replace(',', ".").parse();
        if read.is_err() && !cell.is_empty() {
            let shown: String = cell.chars().take(40).collect();
            let said = format!("“{shown}” is no amount of money. Write it as 1240.50, without its currency.");
            faults.push(Fault::new("price", said));
        }
        read.ok()
    }

    fn lot(&self) -> Result<LotWithLedger, Faults> {
        let mut faults = vec![];
        let metal = self.word("metal", &mut faults);
        if metal.is_none() && faults.is_empty() {
            faults.push(Fault::new("metal", "The metal is missing."));
        }
        let size_mm = self.number("size_mm", &mut faults);
        if self.text("size_mm").is_empty() {
            faults.push(Fault::new("size_mm", "The size is missing: the diameter of the wire, mm."));
        }
        let temper = self.word("temper", &mut faults).unwrap_or(Temper::Soft);
        let section = self.word("section", &mut faults).unwrap_or(Section::Round);
        let kind = self.word("kind", &mut faults).unwrap_or(lorimant_core::cut_plan::StockKind::Spool);
        let surface = self.word("surface", &mut faults).unwrap_or(Surface::Bare);
        let skin_share = self.number("skin_share", &mut faults);
        let tare_g = self.number("tare_g", &mut faults);
        // A weight beside a length is what the length weighs, as this program writes it itself.
        let length_mm = self.number("length_mm", &mut faults);
        let mass_g = self.number("mass_g", &mut faults).filter(|_| length_mm.is_none());
        let price = self.price(&mut faults);
        let (Some(metal), Some(size_mm)) = (metal, size_mm) else { return Err(Faults(faults)) };
        let wire = Wire { metal, section, size_mm, temper };
        let day = self.text("bought_on");
        let mut lot = Lot {
            name: self.text("name"),
            kind,
            wire,
            surface,
            skin_share,
            price,
            bought_mm: None,
            bought_on: Some(day).filter(|day| !day.is_empty()),
            tare_g,
            note: self.text("note"),
        };
        if let Err(Faults(found)) = lot.check() {
            // A table has no records within records: `wire.size_mm` stands under `size_mm`.
            faults.extend(found.into_iter().map(|fault| {
                let field = fault.field.rsplit('.').next().unwrap_or_default().to_owned();
                Fault { field, ..fault }
            }));
            return Err(Faults(faults));
        }
        match both_ways(&lot.wire, length_mm, mass_g) {
            Ok((length_mm, _)) if faults.is_empty() => {
                lot.bought_mm = Some(length_mm);
                let ledger =
                    vec![Movement { kind: MovementKind::Bought, length_mm, note: "brought in".to_owned() }];
                Ok(LotWithLedger { lot, ledger })
            }
            Ok(_) => Err(Faults(faults)),
            Err(fault) => {
                faults.push(fault);
                Err(Faults(faults))
            }
        }
    }
}
