//! The rack as tables: lots, ledger, keepings and scrap out and in, the buying list out.

use lorimant_core::fault::Fault;
use lorimant_core::rack::stock::buying::{Need, StockLevel};
use lorimant_core::rack::stock::scrap::ScrapChange;
use lorimant_core::rack::stock::{Lot, Movement};

use super::plain;
use crate::store::ledger::LedgerLine;
use lorimant_text::text;

/// A table that goes out and comes back in, told by its headings.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum Table {
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
    pub(super) fn told_by(headings: &[String]) -> Result<Self, Fault> {
        let has = |wanted: &&str| headings.iter().any(|heading| heading == wanted);
        let Some(table) = Self::ALL.into_iter().find(|table| table.needed().iter().all(has)) else {
            let wanted: Vec<String> = Self::ALL.iter().map(|table| table.needed().join(", ")).collect();
            let message = text!(
                "paper-rack-tables-first-line-must-be-headings",
                wanted = wanted[0],
                wanted2 = wanted[1],
                wanted3 = wanted[2],
                wanted4 = wanted[3]
            );
            return Err(Fault::new(text!("paper-rack-tables-line-1"), message));
        };
        if let Some(heading) = headings.iter().find(|heading| !table.headings().contains(&heading.as_str())) {
            let shown: String = heading.chars().take(40).collect();
            let message = text!(
                "paper-rack-tables-not-heading-this-table-known",
                shown,
                table = table.headings().join(", ")
            );
            return Err(Fault::new(text!("paper-rack-tables-line-1"), message));
        }
        Ok(table)
    }
}

fn written(table: csv::Writer<Vec<u8>>) -> anyhow::Result<Vec<u8>> {
    table.into_inner().map_err(|error| anyhow::anyhow!("{error}"))
}

fn cell(number: Option<f64>) -> String {
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
pub(crate) fn keepings_csv(keepings: &[StockLevel]) -> anyhow::Result<Vec<u8>> {
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
            &cell(keeping.shortest_useful_mm),
            &cell(keeping.pack_mm),
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
        let balance = lot.balance(left_mm);
        table.write_record([
            plain(&lot.name),
            lot.wire.metal.word().to_owned(),
            lot.wire.size_mm.to_string(),
            lot.kind.word().to_owned(),
            lot.wire.temper.word().to_owned(),
            lot.wire.section.word().to_owned(),
            lot.surface.word().to_owned(),
            cell(lot.skin_share),
            format!("{left_mm:.3}"),
            format!("{:.3}", balance.left_g),
            balance.value.map(|value| value.to_string()).unwrap_or_default(),
            lot.bought_on.clone().unwrap_or_default(),
            cell(lot.tare_g),
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
            plain(&need.label),
            format!("{:.1}", need.in_stock_mm),
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
