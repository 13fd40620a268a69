//! The rack's tables, read: line by line, with everything wrong with a line under its heading.

use lorimant_core::fault::{Fault, Faults};
use lorimant_core::rack::stock::StockKind;
use lorimant_core::rack::stock::buying::StockLevel;
use lorimant_core::rack::stock::scrap::ScrapChange;
use lorimant_core::rack::stock::{Lot, Movement, MovementKind, both_ways};
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::Temper;
use lorimant_core::wire::section::Section;
use lorimant_core::wire::surface::Surface;
use lorimant_core::words::{number, quoted};
use rust_decimal::Decimal;

use super::rack_tables::Table;
use super::unplain;
use crate::document::rack::{LotWithLedger, NamedMovement};
use lorimant_text::text;

/// What a line of a table holds.
pub(crate) enum Record {
    /// A lot and how much of it.
    Lot(LotWithLedger),
    /// A line of the ledger, for the lot of this name.
    Movement(NamedMovement),
    /// How a wire is kept.
    StockLevel(StockLevel),
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
        |error: csv::Error| Fault::new("file", text!("paper-rack-read-this-table-cannot-be-read", error));
    let headings: Vec<String> = reader.headers().map_err(unreadable)?.iter().map(str::to_lowercase).collect();
    let table = Table::told_by(&headings)?;
    let mut rows = vec![];
    for record in reader.records() {
        let record = record.map_err(unreadable)?;
        let line = record.position().map_or(0, csv::Position::line);
        let cells = Cells { headings: &headings, record: &record, decimal_comma: delimiter == b';' };
        // A cell too many has shifted those behind it, or stands under nothing.
        let beyond = record.iter().skip(headings.len()).any(|cell| !cell.is_empty());
        if beyond {
            let message = text!(
                "paper-rack-read-this-line-has-cells-but",
                record = record.len(),
                headings = headings.len()
            );
            let name = record.get(0).unwrap_or_default().to_owned();
            rows.push(ReadRow { line, name, read: Err(Fault::new("columns", message).into()) });
            continue;
        }
        let (name, read) = match table {
            Table::Lots => (cells.text("name"), cells.lot().map(Record::Lot)),
            Table::Ledger => (cells.text("lot"), cells.movement().map(Record::Movement)),
            Table::Keepings => (cells.text("metal"), cells.keeping().map(Record::StockLevel)),
            Table::Scrap => (cells.text("metal"), cells.scrap().map(Record::Scrap)),
        };
        rows.push(ReadRow { line, name, read });
    }
    Ok(rows)
}

struct Cells<'a> {
    headings: &'a [String],
    record: &'a csv::StringRecord,
    decimal_comma: bool,
}

impl Cells<'_> {
    fn text(&self, heading: &str) -> String {
        let at = self.headings.iter().position(|one| one == heading);
        let cell = at.and_then(|at| self.record.get(at)).unwrap_or_default();
        unplain(cell)
    }

    fn word<T: std::str::FromStr<Err: std::fmt::Display>>(
        &self,
        heading: &str,
        faults: &mut Faults,
    ) -> Option<T> {
        let cell = self.text(heading).to_lowercase();
        if cell.is_empty() {
            return None;
        }
        faults.keep(cell.parse().map_err(|error: T::Err| Fault::new(heading, error.to_string())))
    }

    /// A cell of figures, if it is filled: where semicolons part the columns, a comma is the decimal sign, and a point
    /// may part thousands or be the sign of a program that writes so everywhere.
    fn cell(&self, heading: &str, faults: &mut Faults) -> Option<String> {
        let cell = Some(self.text(heading)).filter(|cell| !cell.is_empty())?;
        match (self.decimal_comma, cell.contains(','), cell.split_once('.')) {
            (true, true, None) => Some(cell.replace(',', ".")),
            (true, false, Some((whole, rest)))
                if rest.len() == 3 && (1..=3).contains(&whole.len()) && whole != "0" =>
            {
                let message =
                    text!("paper-rack-read-could-be-or-write-as", cell = quoted(&cell), whole, rest);
                faults.add(Fault::new(heading, message));
                None
            }
            _ => Some(cell),
        }
    }

    fn number(&self, heading: &str, faults: &mut Faults) -> Option<f64> {
        let read = number::unmistakable(&self.cell(heading, faults)?);
        faults.keep(read.map_err(|message| Fault::new(heading, message)))
    }

    fn money(&self, heading: &str, faults: &mut Faults) -> Option<Decimal> {
        let cell = self.cell(heading, faults)?;
        let wrong = || {
            let cell = quoted(&cell);
            text!("paper-rack-read-not-amount-money-write-as", cell)
        };
        faults.keep(number::decimal(&cell).map_err(|_| Fault::new(heading, wrong())))
    }

    /// A word the line cannot do without.
    fn needed<T: std::str::FromStr<Err: std::fmt::Display>>(
        &self,
        heading: &str,
        faults: &mut Faults,
    ) -> Option<T> {
        if self.text(heading).is_empty() {
            faults.add(Fault::new(heading, text!("paper-rack-read-missing", heading)));
        }
        self.word(heading, faults)
    }

    /// A number the line cannot do without.
    fn needed_number(&self, heading: &str, faults: &mut Faults) -> Option<f64> {
        if self.text(heading).is_empty() {
            faults
                .add(Fault::new(heading, text!("paper-rack-read-column-empty-here-number-missing", heading)));
        }
        self.number(heading, faults)
    }

    fn wire(&self, faults: &mut Faults) -> Option<Wire> {
        let metal = self.needed("metal", faults);
        let size_mm = self.needed_number("size_mm", faults);
        let temper = self.word("temper", faults).unwrap_or(Temper::Soft);
        let section = self.word("section", faults).unwrap_or(Section::Round);
        Some(Wire { metal: metal?, section, size_mm: size_mm?, temper, surface: Surface::Bare, lot: None })
    }

    fn lot(&self) -> Result<LotWithLedger, Faults> {
        let mut faults = Faults::none();
        let wire = self.wire(&mut faults);
        let kind = self.word("kind", &mut faults).unwrap_or(StockKind::Spool);
        let surface = self.word("surface", &mut faults).unwrap_or(Surface::Bare);
        let skin_share = self.number("skin_share", &mut faults);
        let tare_g = self.number("tare_g", &mut faults);
        // A weight beside a length is what the length weighs, as this program writes it itself.
        let length_mm = self.number("length_mm", &mut faults);
        let mass_g = self.number("mass_g", &mut faults).filter(|_| length_mm.is_none());
        let price = self.money("price", &mut faults);
        let Some(wire) = wire else { return Err(faults) };
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
            pulls: vec![],
        };
        let amount = both_ways(&lot.wire, length_mm, mass_g);
        let length_mm = faults.keep(amount).map_or(0.0, |(length_mm, _)| length_mm);
        lot.bought_mm = Some(length_mm).filter(|mm| *mm > 0.0);
        checked(faults, lot.check())?;
        let ledger = vec![Movement { kind: MovementKind::Bought, length_mm, note: "imported".to_owned() }];
        Ok(LotWithLedger { lot, ledger })
    }

    fn movement(&self) -> Result<NamedMovement, Faults> {
        let mut faults = Faults::none();
        if self.text("lot").is_empty() {
            faults.add(Fault::new("lot", text!("paper-rack-read-lots-name-missing")));
        }
        let kind = self.needed("change", &mut faults);
        let length_mm = self.needed_number("length_mm", &mut faults);
        let (Some(kind), Some(length_mm)) = (kind, length_mm) else { return Err(faults) };
        let line = Movement { kind, length_mm, note: self.text("note") };
        checked(faults, line.check())?;
        Ok(NamedMovement { lot: self.text("lot"), line })
    }

    fn keeping(&self) -> Result<StockLevel, Faults> {
        let mut faults = Faults::none();
        let wire = self.wire(&mut faults);
        let keep_mm = self.needed_number("keep_mm", &mut faults);
        let shortest_useful_mm = self.number("shortest_useful_mm", &mut faults);
        let pack_mm = self.number("pack_mm", &mut faults);
        let pack_price = self.money("pack_price", &mut faults);
        let (Some(wire), Some(keep_mm)) = (wire, keep_mm) else { return Err(faults) };
        let keeping = StockLevel {
            wire,
            shortest_useful_mm,
            keep_mm,
            pack_mm,
            pack_price,
            source: self.text("source"),
        };
        checked(faults, keeping.check())?;
        Ok(keeping)
    }

    fn scrap(&self) -> Result<ScrapChange, Faults> {
        let mut faults = Faults::none();
        let metal = self.needed("metal", &mut faults);
        let cleanliness = self.needed("cleanliness", &mut faults);
        let mass_g = self.needed_number("mass_g", &mut faults);
        let (Some(metal), Some(cleanliness), Some(mass_g)) = (metal, cleanliness, mass_g) else {
            return Err(faults);
        };
        let change = ScrapChange { metal, cleanliness, mass_g, note: self.text("note") };
        checked(faults, change.check())?;
        Ok(change)
    }
}

/// All that is wrong with a line: what could not be read, and what was read and cannot be.
fn checked(mut faults: Faults, check: Result<(), Faults>) -> Result<(), Faults> {
    for fault in check.err().into_iter().flat_map(|found| found.0) {
        // A table has no records within records: `wire.size_mm` stands under `size_mm`.
        let field = fault.field.rsplit('.').next().unwrap_or_default().to_owned();
        faults.add(Fault { field, ..fault });
    }
    faults.into_result()
}
