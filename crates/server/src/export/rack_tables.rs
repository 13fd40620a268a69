//! The rack as tables: lots, ledger, keepings and scrap out and in, the buying list out.

use lorimant_core::fault::{Fault, Faults};
use lorimant_core::rack::stock::StockKind;
use lorimant_core::rack::stock::buying::{Keeping, Need};
use lorimant_core::rack::stock::scrap::ScrapChange;
use lorimant_core::rack::stock::{Lot, Movement, MovementKind, Surface, both_ways};
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::Temper;
use lorimant_core::wire::section::Section;
use rust_decimal::Decimal;

use super::plain;
use crate::document::rack::{LotWithLedger, NamedMovement};
use crate::store::ledger::LedgerLine;

/// A table that goes out and comes back in, told by its headings.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
enum Table {
    /// Lots with what is left of them.
    Lots,
    /// Lines of the ledger, for lots that are on the rack.
    Ledger,
    /// How wires are kept.
    Keepings,
    /// Scrap by metal and cleanliness.
    Scrap,
}

impl Table {
    const ALL: [Self; 4] = [Self::Lots, Self::Ledger, Self::Keepings, Self::Scrap];

    /// Its headings; the first three are those it cannot do without.
    fn headings(self) -> &'static [&'static str] {
        match self {
            Self::Lots => &[
                "name",
                "metal",
                "size_mm",
                "kind",
                "temper",
                "section",
                "surface",
                "skin_share",
                "length_mm",
                "mass_g",
                "price",
                "bought_on",
                "tare_g",
                "note",
            ],
            Self::Ledger => &["lot", "change", "length_mm", "note", "made_at"],
            Self::Keepings => &[
                "metal",
                "size_mm",
                "keep_mm",
                "temper",
                "section",
                "shortest_useful_mm",
                "pack_mm",
                "pack_price",
                "source",
            ],
            Self::Scrap => &["metal", "cleanliness", "mass_g", "note"],
        }
    }

    fn needed(self) -> &'static [&'static str] {
        &self.headings()[..3]
    }

    /// The table whose needed headings are all there.
    fn told_by(headings: &[String]) -> Result<Self, Fault> {
        let has = |wanted: &&str| headings.iter().any(|heading| heading == wanted);
        let Some(table) = Self::ALL.into_iter().find(|table| table.needed().iter().all(has)) else {
            let wanted: Vec<String> = Self::ALL.iter().map(|table| table.needed().join(", ")).collect();
            let said = format!(
                "The first line must hold the headings of a table of lots ({}), of the ledger ({}), of how wires are \
                 kept ({}), or of scrap ({}).",
                wanted[0], wanted[1], wanted[2], wanted[3]
            );
            return Err(Fault::new("line 1", said));
        };
        if let Some(heading) = headings.iter().find(|heading| !table.headings().contains(&heading.as_str())) {
            let shown: String = heading.chars().take(40).collect();
            let said =
                format!("“{shown}” is no heading of this table. Known: {}.", table.headings().join(", "));
            return Err(Fault::new("line 1", said));
        }
        Ok(table)
    }
}

fn written(table: csv::Writer<Vec<u8>>) -> anyhow::Result<Vec<u8>> {
    table.into_inner().map_err(|error| anyhow::anyhow!("{error}"))
}

fn said(number: Option<f64>) -> String {
    number.map(|n| n.to_string()).unwrap_or_default()
}

/// Lines of the ledger as a table: the lot's name, the line, when it was booked.
pub(crate) fn ledger_csv(lines: &[(String, LedgerLine)]) -> anyhow::Result<Vec<u8>> {
    let mut table = csv::Writer::from_writer(vec![]);
    table.write_record(Table::Ledger.headings())?;
    for (lot, line) in lines {
        let Movement { kind, length_mm, note } = &line.movement;
        let length = format!("{length_mm:.3}");
        table.write_record([&plain(lot), kind.word(), &length, &plain(note), &line.made_at])?;
    }
    written(table)
}

/// How wires are kept, as a table.
pub(crate) fn keepings_csv(keepings: &[Keeping]) -> anyhow::Result<Vec<u8>> {
    let mut table = csv::Writer::from_writer(vec![]);
    table.write_record(Table::Keepings.headings())?;
    for keeping in keepings {
        let wire = &keeping.wire;
        table.write_record([
            wire.metal.word(),
            &wire.size_mm.to_string(),
            &keeping.keep_mm.to_string(),
            wire.temper.word(),
            wire.section.word(),
            &said(keeping.shortest_useful_mm),
            &said(keeping.pack_mm),
            &keeping.pack_price.map(|price| price.to_string()).unwrap_or_default(),
            &plain(&keeping.source),
        ])?;
    }
    written(table)
}

/// Scrap as a table.
pub(crate) fn scrap_csv(scrap: &[ScrapChange]) -> anyhow::Result<Vec<u8>> {
    let mut table = csv::Writer::from_writer(vec![]);
    table.write_record(Table::Scrap.headings())?;
    for pile in scrap {
        let mass = format!("{:.3}", pile.mass_g);
        table.write_record([pile.metal.word(), pile.cleanliness.word(), &mass, &plain(&pile.note)])?;
    }
    written(table)
}

/// Lots as a table: one line a lot, with what is left of it.
pub(crate) fn lots_csv<'a>(lots: impl Iterator<Item = (&'a Lot, f64)>) -> anyhow::Result<Vec<u8>> {
    let mut table = csv::Writer::from_writer(vec![]);
    table.write_record(Table::Lots.headings())?;
    for (lot, left_mm) in lots {
        let standing = lot.standing(left_mm);
        table.write_record([
            plain(&lot.name),
            lot.wire.metal.word().to_owned(),
            lot.wire.size_mm.to_string(),
            lot.kind.word().to_owned(),
            lot.wire.temper.word().to_owned(),
            lot.wire.section.word().to_owned(),
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
    written(table)
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
    written(table)
}

/// What a line of a table holds.
pub(crate) enum Record {
    /// A lot and how much of it.
    Lot(LotWithLedger),
    /// A line of the ledger, for the lot of this name.
    Movement(NamedMovement),
    /// How a wire is kept.
    Keeping(Keeping),
    /// Scrap.
    Scrap(ScrapChange),
}

/// A line of a table, read as far as it can be.
pub(crate) struct ReadRow {
    /// Its number in the file; the headings are line 1.
    pub line: u64,
    /// What it is about.
    pub name: String,
    /// What it holds, or everything wrong with it, by heading.
    pub read: Result<Record, Faults>,
}

/// Reads a table of the rack, line by line; commas or semicolons between the columns.
///
/// # Errors
/// Where it is none of the tables there are, or cannot be read at all.
pub(crate) fn read_table(text: &str) -> Result<Vec<ReadRow>, Fault> {
    let text = text.trim_start_matches('\u{feff}');
    let first = text.lines().next().unwrap_or_default();
    let delimiter = if first.matches(';').count() > first.matches(',').count() { b';' } else { b',' };
    let mut reader = csv::ReaderBuilder::new()
        .delimiter(delimiter)
        .trim(csv::Trim::All)
        .flexible(true)
        .from_reader(text.as_bytes());
    let unreadable =
        |error: csv::Error| Fault::new("file", format!("This is no table that can be read: {error}."));
    let headings: Vec<String> = reader.headers().map_err(unreadable)?.iter().map(str::to_lowercase).collect();
    let table = Table::told_by(&headings)?;
    let mut rows = vec![];
    for record in reader.records() {
        let record = record.map_err(unreadable)?;
        let line = record.position().map_or(0, csv::Position::line);
        let cells = Cells { headings: &headings, record: &record };
        let (name, read) = match table {
            Table::Lots => (cells.text("name"), cells.lot().map(Record::Lot)),
            Table::Ledger => (cells.text("lot"), cells.movement().map(Record::Movement)),
            Table::Keepings => (cells.text("metal"), cells.keeping().map(Record::Keeping)),
            Table::Scrap => (cells.text("metal"), cells.scrap().map(Record::Scrap)),
        };
        rows.push(ReadRow { line, name, read });
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

    fn money(&self, heading: &str, faults: &mut Vec<Fault>) -> Option<Decimal> {
        let cell = self.text(heading);
        let read = cell.replace(',', ".").parse();
        if read.is_err() && !cell.is_empty() {
            let shown: String = cell.chars().take(40).collect();
            let said = format!("“{shown}” is no amount of money. Write it as 1240.50, without its currency.");
            faults.push(Fault::new(heading, said));
        }
        read.ok()
    }

    /// A word the line cannot do without.
    fn needed<T: std::str::FromStr<Err: std::fmt::Display>>(
        &self,
        heading: &str,
        faults: &mut Vec<Fault>,
    ) -> Option<T> {
        if self.text(heading).is_empty() {
            faults.push(Fault::new(heading, format!("The {heading} is missing.")));
        }
        self.word(heading, faults)
    }

    /// A number the line cannot do without.
    fn needed_number(&self, heading: &str, faults: &mut Vec<Fault>) -> Option<f64> {
        if self.text(heading).is_empty() {
            faults.push(Fault::new(
                heading,
                format!("The column {heading} is empty here: a number is missing."),
            ));
        }
        self.number(heading, faults)
    }

    fn wire(&self, faults: &mut Vec<Fault>) -> Option<Wire> {
        let metal = self.needed("metal", faults);
        let size_mm = self.needed_number("size_mm", faults);
        let temper = self.word("temper", faults).unwrap_or(Temper::Soft);
        let section = self.word("section", faults).unwrap_or(Section::Round);
        Some(Wire { metal: metal?, section, size_mm: size_mm?, temper })
    }

    fn lot(&self) -> Result<LotWithLedger, Faults> {
        let mut faults = vec![];
        let wire = self.wire(&mut faults);
        let kind = self.word("kind", &mut faults).unwrap_or(StockKind::Spool);
        let surface = self.word("surface", &mut faults).unwrap_or(Surface::Bare);
        let skin_share = self.number("skin_share", &mut faults);
        let tare_g = self.number("tare_g", &mut faults);
        // A weight beside a length is what the length weighs, as this program writes it itself.
        let length_mm = self.number("length_mm", &mut faults);
        let mass_g = self.number("mass_g", &mut faults).filter(|_| length_mm.is_none());
        let price = self.money("price", &mut faults);
        let Some(wire) = wire else { return Err(Faults(faults)) };
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
        let amount = both_ways(&lot.wire, length_mm, mass_g);
        let length_mm = amount.map_err(|fault| faults.push(fault)).map_or(0.0, |(length_mm, _)| length_mm);
        lot.bought_mm = Some(length_mm).filter(|mm| *mm > 0.0);
        checked(faults, lot.check())?;
        let ledger = vec![Movement { kind: MovementKind::Bought, length_mm, note: "brought in".to_owned() }];
        Ok(LotWithLedger { lot, ledger })
    }

    fn movement(&self) -> Result<NamedMovement, Faults> {
        let mut faults = vec![];
        if self.text("lot").is_empty() {
            faults.push(Fault::new("lot", "The lot's name is missing."));
        }
        let kind = self.needed("change", &mut faults);
        let length_mm = self.needed_number("length_mm", &mut faults);
        let (Some(kind), Some(length_mm)) = (kind, length_mm) else { return Err(Faults(faults)) };
        let line = Movement { kind, length_mm, note: self.text("note") };
        checked(faults, line.check())?;
        Ok(NamedMovement { lot: self.text("lot"), line })
    }

    fn keeping(&self) -> Result<Keeping, Faults> {
        let mut faults = vec![];
        let wire = self.wire(&mut faults);
        let keep_mm = self.needed_number("keep_mm", &mut faults);
        let shortest_useful_mm = self.number("shortest_useful_mm", &mut faults);
        let pack_mm = self.number("pack_mm", &mut faults);
        let pack_price = self.money("pack_price", &mut faults);
        let (Some(wire), Some(keep_mm)) = (wire, keep_mm) else { return Err(Faults(faults)) };
        let keeping =
            Keeping { wire, shortest_useful_mm, keep_mm, pack_mm, pack_price, source: self.text("source") };
        checked(faults, keeping.check())?;
        Ok(keeping)
    }

    fn scrap(&self) -> Result<ScrapChange, Faults> {
        let mut faults = vec![];
        let metal = self.needed("metal", &mut faults);
        let cleanliness = self.needed("cleanliness", &mut faults);
        let mass_g = self.needed_number("mass_g", &mut faults);
        let (Some(metal), Some(cleanliness), Some(mass_g)) = (metal, cleanliness, mass_g) else {
            return Err(Faults(faults));
        };
        let change = ScrapChange { metal, cleanliness, mass_g, note: self.text("note") };
        checked(faults, change.check())?;
        Ok(change)
    }
}

/// All that is wrong with a line: what could not be read, and what was read and cannot be.
fn checked(mut faults: Vec<Fault>, check: Result<(), Faults>) -> Result<(), Faults> {
    if let Err(Faults(found)) = check {
        // A table has no records within records: `wire.size_mm` stands under `size_mm`.
        faults.extend(found.into_iter().map(|fault| {
            let field = fault.field.rsplit('.').next().unwrap_or_default().to_owned();
            Fault { field, ..fault }
        }));
    }
    if faults.is_empty() { Ok(()) } else { Err(Faults(faults)) }
}
