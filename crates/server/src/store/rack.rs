//! What stands on the rack: lots with what is left of them, how wires are kept, what is picked to be made.

use lorimant_core::rack::stock::StockKind;
use lorimant_core::rack::stock::booking::LotCut;
use lorimant_core::rack::stock::buying::StockLevel;
use lorimant_core::rack::stock::{Lot, LotBalance, Movement};
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::Metal;
use lorimant_core::words::length::LengthUnit;
use rusqlite::{Connection, Transaction};
use rust_decimal::Decimal;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::error::Result;
use super::ledger::{self, LedgerLine, millimetres};
use super::search;
use super::settings;
use super::shelf::{COLUMNS, Edit, Entry, Raw, Shelf};

/// The price of a length of wire.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub(crate) struct PriceOf {
    /// The price.
    #[schema(value_type = String)]
    pub amount: Decimal,
    /// Of which length: a `metre` or a `foot`.
    pub of: &'static str,
}

/// A lot with what is left of it.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub(crate) struct Stocked {
    /// The lot.
    #[serde(flatten)]
    pub entry: Entry<Lot>,
    /// What is left of it.
    pub balance: LotBalance,
    /// Its wire in words, in the workshop's unit.
    pub wire_label: String,
    /// What a metre or a foot of it cost, where that is known.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub price_of: Option<PriceOf>,
    /// Colour of its metal, `#rrggbb`.
    pub colour: &'static str,
}

/// What there is of one metal.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub(crate) struct MetalTotal {
    /// The metal.
    pub metal: Metal,
    /// Its name.
    pub label: &'static str,
    /// How many lots.
    pub lots_n: u32,
    /// Length in all, mm.
    pub left_mm: f64,
    /// Mass in all, g.
    pub left_g: f64,
}

/// What is wanted of the rack.
#[derive(Debug, Clone, Default)]
pub(crate) struct WantedLots {
    /// Words the name or record must contain.
    pub find: String,
    /// Only this metal.
    pub metal: Option<Metal>,
    /// Only this kind.
    pub kind: Option<StockKind>,
    /// Only those that still hold a piece of this length, mm; the shortest that does first.
    pub holds_mm: Option<f64>,
    /// Those that are used up or put away instead of those with wire on them.
    pub used_up: bool,
    /// How many to pass over.
    pub skip: u32,
    /// How many at most.
    pub most: u32,
}

/// A stretch of the rack.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub(crate) struct Rack {
    /// Lots, by metal, size and length left.
    pub lots: Vec<Stocked>,
    /// How many there are in all.
    pub total: usize,
}

fn with_balance(entry: Entry<Lot>, left_mm: f64, unit: LengthUnit) -> Stocked {
    let balance = entry.record.balance(left_mm);
    let wire = &entry.record.wire;
    let price_of = entry.record.price_of(unit).map(|(amount, of)| PriceOf { amount, of });
    Stocked { wire_label: wire.shown(unit), price_of, colour: wire.metal.figures().colour, balance, entry }
}

/// A stretch of the rack: by metal, size and what is left, or the shortest first where a length is wanted.
pub(crate) fn rack(connection: &Connection, wanted: &WantedLots) -> Result<Rack> {
    let unit = settings::unit(connection)?;
    let found = matching(connection, wanted)?;
    let sums = ledger::left_of_all(connection)?;
    let left = |raw: &Raw| millimetres(sums.get(&raw.id).copied().unwrap_or(0));
    let mut found: Vec<(f64, Raw, Wire)> = found
        .into_iter()
        .map(|(raw, wire)| (left(&raw), raw, wire))
        .filter(|(left_mm, raw, _)| wanted.used_up == (raw.archived || *left_mm <= 0.0))
        .filter(|(left_mm, ..)| wanted.holds_mm.is_none_or(|holds_mm| *left_mm >= holds_mm))
        .collect();
    let alike = |wire: &Wire| (wire.section.word(), wire.temper.word());
    found.sort_by(|(left_a, _, a), (left_b, _, b)| {
        let by_metal = a.metal.word().cmp(b.metal.word());
        let by_wire = by_metal.then(b.size_mm.total_cmp(&a.size_mm)).then(alike(a).cmp(&alike(b)));
        // The next small piece comes from the shortest rest that gives it.
        let by_left =
            if wanted.holds_mm.is_some() { left_a.total_cmp(left_b) } else { left_b.total_cmp(left_a) };
        by_wire.then(by_left)
    });
    let total = found.len();
    let stretch = found.into_iter().skip(wanted.skip as usize).take(wanted.most as usize);
    let lots = stretch.map(|(left_mm, raw, _)| Ok(with_balance(raw.entry(unit)?, left_mm, unit)));
    Ok(Rack { lots: lots.collect::<Result<_>>()?, total })
}

/// The wire of a lot, whatever else is written of it.
#[derive(Deserialize)]
struct OfWire {
    wire: Wire,
}

/// Lots that are like what is wanted, with their wires, oldest first.
fn matching(connection: &Connection, wanted: &WantedLots) -> Result<Vec<(Raw, Wire)>> {
    search::check(&wanted.find)?;
    let (metal, kind) = (wanted.metal.map(Metal::word), wanted.kind.map(StockKind::word));
    let mut clauses = String::new();
    let mut bound: Vec<&dyn rusqlite::ToSql> = vec![];
    if let Some(metal) = &metal {
        bound.push(metal);
        clauses += &format!(" AND json_extract(record, '$.wire.metal') = ?{}", bound.len());
    }
    if let Some(kind) = &kind {
        bound.push(kind);
        clauses += &format!(" AND json_extract(record, '$.kind') = ?{}", bound.len());
    }
    if !wanted.find.trim().is_empty() {
        bound.push(&wanted.find);
        clauses += &format!(" AND {}", search::clause(bound.len()));
    }
    let sql = format!("SELECT {COLUMNS} FROM entries WHERE shelf = 'lot'{clauses} ORDER BY id");
    let mut statement = connection.prepare(&sql)?;
    let rows = statement.query_map(bound.as_slice(), Raw::of)?;
    rows.map(|raw| {
        let raw = raw?;
        let OfWire { wire } = raw.read()?;
        Ok((raw, wire))
    })
    .collect()
}

/// What there is of each metal, the heaviest first.
pub(crate) fn metals(connection: &Connection) -> Result<Vec<MetalTotal>> {
    let mut totals: Vec<MetalTotal> = vec![];
    for Stocked { entry, balance, .. } in in_stock(connection)? {
        let metal = entry.record.wire.metal;
        let at = totals.iter().position(|one| one.metal == metal).unwrap_or_else(|| {
            totals.push(MetalTotal { metal, label: metal.shown(), lots_n: 0, left_mm: 0.0, left_g: 0.0 });
            totals.len() - 1
        });
        let of = &mut totals[at];
        of.lots_n += 1;
        of.left_mm += balance.left_mm;
        of.left_g += balance.left_g;
    }
    totals.sort_by(|a, b| b.left_g.total_cmp(&a.left_g));
    Ok(totals)
}

/// Every lot in use that has wire on it, oldest first.
pub(crate) fn in_stock(connection: &Connection) -> Result<Vec<Stocked>> {
    let unit = settings::unit(connection)?;
    let lots: Vec<Entry<Lot>> = Shelf::Lots.all(connection)?;
    let sums = ledger::left_of_all(connection)?;
    let with_wire = lots.into_iter().filter_map(|entry| {
        let left_mm = millimetres(sums.get(&entry.id).copied().unwrap_or(0));
        (left_mm > 0.0).then(|| with_balance(entry, left_mm, unit))
    });
    Ok(with_wire.collect())
}

/// The wire there is, lot by lot: what is needed is set against it. Lengths in mm.
pub(crate) fn wire_in_stock(connection: &Connection) -> Result<Vec<(Wire, f64)>> {
    let lots = in_stock(connection)?.into_iter();
    Ok(lots.map(|lot| (lot.entry.record.covered_wire(), lot.balance.left_mm)).collect())
}

/// One lot with what is left of it.
pub(crate) fn lot(connection: &Connection, id: i64) -> Result<Stocked> {
    let entry: Entry<Lot> = Shelf::Lots.get(connection, id)?;
    Ok(with_balance(entry, ledger::left_mm(connection, id)?, settings::unit(connection)?))
}

/// Puts a new lot on the rack with its first lines.
pub(crate) fn receive(t: &Transaction, batch: i64, new: &Lot, lines: &[Movement]) -> Result<Stocked> {
    let entry = Shelf::Lots.add(t, batch, new)?;
    ledger::book_all(t, batch, entry.id, lines)?;
    lot(t, entry.id)
}

/// Takes a length off a lot and puts it on the rack as an offcut of its own.
pub(crate) fn set_aside(
    t: &Transaction,
    batch: i64,
    from: i64,
    name: &str,
    length_mm: f64,
) -> Result<Stocked> {
    let Stocked { entry, .. } = lot(t, from)?;
    let (rest, out, onto) = entry.record.set_aside(name, length_mm);
    rest.check()?;
    ledger::book(t, batch, from, &out)?;
    receive(t, batch, &rest, &[onto])
}

/// Books what a cut plan took: all of it or nothing. Rests too short to use go to clean scrap.
pub(crate) fn book_cuts(t: &Transaction, batch: i64, cuts: &[LotCut], unit: LengthUnit) -> Result<()> {
    for (i, cut) in cuts.iter().enumerate() {
        let Stocked { entry, balance, .. } = lot(t, cut.lot)?;
        let lines =
            cut.lines(balance.left_mm, unit).map_err(|faults| faults.within(&format!("lots[{i}]")))?;
        ledger::book_all(t, batch, cut.lot, &lines)?;
        if let Some(scrap) = entry.record.scrap_of(&lines) {
            ledger::book_scrap(t, batch, &scrap)?;
        }
    }
    Ok(())
}

/// How each wire is kept.
pub(crate) fn keepings(connection: &Connection) -> Result<Vec<Entry<StockLevel>>> {
    Shelf::Keepings.all(connection)
}

/// What was said of how a wire is kept.
pub(crate) fn keeping_of(connection: &Connection, wire: &Wire) -> Result<Option<Entry<StockLevel>>> {
    Ok(keepings(connection)?.into_iter().find(|entry| entry.record.wire.stands_for(wire)))
}

/// Says how a wire is kept, in place of what was said before.
pub(crate) fn keep(t: &Transaction, batch: i64, keeping: &StockLevel) -> Result<Entry<StockLevel>> {
    match keeping_of(t, &keeping.wire)? {
        Some(entry) => {
            Shelf::Keepings.edit(t, batch, entry.id, entry.revision, &Edit::Replace(keeping.clone()))
        }
        None => Shelf::Keepings.add(t, batch, keeping),
    }
}

/// Every line of the ledger with the name of its lot, lot by lot, oldest first.
pub(crate) fn all_lines(connection: &Connection) -> Result<Vec<(String, LedgerLine)>> {
    let lots: Vec<Entry<Lot>> = Shelf::Lots.all(connection)?;
    let mut all = vec![];
    for lot in lots {
        let lines = ledger::lines(connection, lot.id)?;
        all.extend(lines.into_iter().rev().map(|line| (lot.name.clone(), line)));
    }
    Ok(all)
}
