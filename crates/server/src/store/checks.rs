//! What was measured, check by check, and what was learned of lots from it.

use std::collections::BTreeMap;
use std::collections::btree_map;

use lorimant_core::learn::check::PieceCheck;
use lorimant_core::learn::dimension::{ToMeasure, to_measure};
use lorimant_core::learn::lot::rods::{RodError, RodLearned, learn_together};
use lorimant_core::learn::lot::{LotLearned, MOST_TEACHING, MeasuredLot};
use lorimant_core::learn::measured::CaliperReading;
use lorimant_core::learn::trial::Trial;
use lorimant_core::rack::stock::Lot;
use lorimant_core::tool::hand::HandSpread;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::lot::LotFactor;
use rusqlite::{Connection, OptionalExtension as _, Row, Transaction, params};
use serde::Serialize;
use utoipa::ToSchema;

use super::batch::now;
use super::error::{Result, StoreError};
use super::settings::settings;
use super::shelf::{Entry, Shelf};
use super::undo;
use crate::device;
use crate::kept::Settings;
use lorimant_text::text;

/// A check with its readings.
pub(crate) struct Checked {
    /// The check.
    pub entry: Entry<PieceCheck>,
    /// Its readings, in the order they were taken.
    pub readings: Vec<CaliperReading>,
}

/// A check, with what was read.
pub(crate) fn checked(connection: &Connection, id: i64) -> Result<Checked> {
    Ok(Checked { entry: Shelf::Checks.get(connection, id)?, readings: readings(connection, id)? })
}

const COLUMNS: &str = "id, piece_n, dimension, value, source, made_at, aside";

fn reading(row: &Row) -> rusqlite::Result<CaliperReading> {
    let source: String = row.get(4)?;
    Ok(CaliperReading {
        reading_n: row.get(0)?,
        piece_n: row.get(1)?,
        key: row.get(2)?,
        value: row.get(3)?,
        from: source
            .parse()
            .map_err(|_| rusqlite::Error::InvalidColumnType(4, source, rusqlite::types::Type::Text))?,
        at: row.get(5)?,
        excluded: row.get(6)?,
    })
}

/// Everything that was read of a check, in order.
pub(crate) fn readings(connection: &Connection, id: i64) -> Result<Vec<CaliperReading>> {
    let sql = format!("SELECT {COLUMNS} FROM readings WHERE entry = ?1 ORDER BY id");
    let mut statement = connection.prepare_cached(&sql)?;
    let rows = statement.query_map([id], reading)?;
    Ok(rows.collect::<rusqlite::Result<_>>()?)
}

/// Keeps a reading under the key it was sent with; one that is kept already stays as it is. A doubtful one is refused
/// unless the maker is sure of it.
pub(crate) fn keep(
    t: &Transaction,
    id: i64,
    press: &str,
    reading: &CaliperReading,
    sure: bool,
    workshop: &Workshop,
) -> Result<()> {
    let entry: Entry<PieceCheck> = Shelf::Checks.get(t, id)?;
    entry.record.may_read(reading, workshop).map_err(StoreError::Refused)?;
    if !sure {
        entry.record.doubt(reading, workshop).map_err(StoreError::Refused)?;
    }
    let sql = "INSERT INTO readings (key, entry, piece_n, dimension, value, source, made_at, device) \
               VALUES (?1, ?2, ?3, ?4, ?5, ?6, ?7, ?8) ON CONFLICT (key) DO NOTHING";
    t.prepare_cached(sql)?.execute(params![
        press,
        id,
        reading.piece_n,
        reading.key,
        reading.value,
        reading.from.word(),
        now(),
        device::of_write()
    ])?;
    relearn_of(t, &entry.record)
}

/// Sets a reading aside, or takes it in again.
pub(crate) fn set_aside(t: &Transaction, id: i64, reading_n: i64, aside: bool) -> Result<()> {
    let entry: Entry<PieceCheck> = Shelf::Checks.get(t, id)?;
    let sql = "UPDATE readings SET aside = ?3 WHERE entry = ?1 AND id = ?2";
    if t.prepare_cached(sql)?.execute(params![id, reading_n, aside])? == 0 {
        return Err(StoreError::Missing { what: text!("file-checks-reading"), id: reading_n });
    }
    relearn_of(t, &entry.record)
}

/// The checks of a lot that are in use.
fn of_lot(connection: &Connection, lot_n: i64) -> Result<Vec<Checked>> {
    let sql = "SELECT id FROM entries WHERE shelf = 'check' AND archived = 0 AND ?1 = coalesce(\
               record ->> '$.piece.rings.wire.lot.lot_n', record ->> '$.piece.chain.ring.wire.lot.lot_n') ORDER BY id";
    let mut statement = connection.prepare_cached(sql)?;
    let ids = statement.query_map([lot_n], |row| row.get(0))?.collect::<rusqlite::Result<Vec<i64>>>()?;
    ids.into_iter().map(|id| checked(connection, id)).collect()
}

/// One inside that teaches a lot, with where it can be set aside.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub(crate) struct LotPointOf {
    /// The check it was measured in.
    pub check: i64,
    /// What that is called.
    pub name: String,
}

/// A lot with everything that was measured of it, and of which check each of its coils is.
struct TaughtBy {
    lot_n: i64,
    measured: MeasuredLot,
    of: Vec<LotPointOf>,
}

/// What was measured of a lot; of its coils and rings the last that teach it.
fn taught_by(connection: &Connection, lot_n: i64, hand: &HandSpread) -> Result<TaughtBy> {
    let mut insides = vec![];
    let mut of = vec![];
    for check in of_lot(connection, lot_n)? {
        for inside in check.entry.record.insides(&check.readings, hand) {
            insides.push(inside);
            of.push(LotPointOf { check: check.entry.id, name: check.entry.name.clone() });
        }
    }
    let old = insides.len().saturating_sub(MOST_TEACHING);
    insides.drain(..old);
    of.drain(..old);
    let lot: Entry<Lot> = Shelf::Lots.get(connection, lot_n)?;
    let pulls = lot.record.pulls.iter().map(|pull| pull.says(&lot.record.wire)).collect();
    Ok(TaughtBy { lot_n, measured: MeasuredLot { insides, pulls }, of })
}

/// All lots of which something was measured, each with what it was.
fn all_taught(connection: &Connection, hand: &HandSpread) -> Result<Vec<TaughtBy>> {
    let sql = "SELECT id FROM entries WHERE shelf = 'lot' AND (record ->> '$.pulls' IS NOT NULL OR id IN (\
               SELECT coalesce(record ->> '$.piece.rings.wire.lot.lot_n', record ->> '$.piece.chain.ring.wire.lot.lot_n') \
               FROM entries WHERE shelf = 'check')) ORDER BY id";
    let mut statement = connection.prepare_cached(sql)?;
    let lots = statement.query_map([], |row| row.get(0))?.collect::<rusqlite::Result<Vec<i64>>>()?;
    lots.into_iter().map(|lot_n| taught_by(connection, lot_n, hand)).collect()
}

/// What was measured, lot by lot, as it is learned together.
fn measured(all: &[TaughtBy]) -> Vec<MeasuredLot> {
    all.iter().map(|one| one.measured.clone()).collect()
}

/// What is known of a lot, of which check each of its points is, and what is known of the rods it was wound on.
pub(crate) struct Learned {
    pub lot: LotLearned,
    pub of: Vec<LotPointOf>,
    pub rods: Vec<RodLearned>,
}

/// What is known of a lot, learned together with all others.
pub(crate) fn learned(connection: &Connection, lot_n: i64) -> Result<Learned> {
    let hand = settings(connection)?.0.hand;
    let mut all = all_taught(connection, &hand)?;
    let at = all.iter().position(|one| one.lot_n == lot_n);
    let at = at.map_or_else(
        || {
            all.push(taught_by(connection, lot_n, &hand)?);
            Ok::<_, StoreError>(all.len() - 1)
        },
        Ok,
    )?;
    let mut known = learn_together(&measured(&all), &hand);
    let lot = known.lots.swap_remove(at);
    let rods = known.rods.into_iter().filter(|rod| lot.rods.contains(&rod.rod)).collect();
    Ok(Learned { lot, of: all.swap_remove(at).of, rods })
}

/// What other lots say of the rod that the coil of a check was wound on, where any does.
pub(crate) fn rod_of(connection: &Connection, check: &PieceCheck) -> Result<Option<RodError>> {
    let Some(wound) = check.piece.wound() else { return Ok(None) };
    let hand = settings(connection)?.0.hand;
    let own = check.piece.wire().lot.map(|lot| lot.lot_n);
    let mut others = all_taught(connection, &hand)?;
    others.retain(|one| Some(one.lot_n) != own);
    let rods = learn_together(&measured(&others), &hand).rods;
    Ok(rods.into_iter().find(|one| one.rod == wound.mandrel).map(|one| one.error))
}

/// Learns the lot of a check anew, where it has one, and all others with it.
pub(crate) fn relearn_of(t: &Transaction, check: &PieceCheck) -> Result<()> {
    // What its rods are taken for changes with it, and so do the other lots wound on them.
    if check.piece.wire().lot.is_some() { relearn_all(t) } else { Ok(()) }
}

fn keep_learned(t: &Transaction, lot_n: i64, learned: &LotLearned) -> Result<()> {
    if learned.measured_n == 0 {
        return Ok(());
    }
    let sql = "INSERT INTO learned (lot, flow, spread, measured_n) VALUES (?1, ?2, ?3, ?4)";
    t.prepare_cached(sql)?.execute(params![lot_n, learned.flow, learned.spread, learned.measured_n])?;
    Ok(())
}

/// Learns every lot anew: after a lot or the hand was changed, something was undone, or all was brought in.
pub(crate) fn relearn_all(t: &Transaction) -> Result<()> {
    let hand = settings(t)?.0.hand;
    let all = all_taught(t, &hand)?;
    let known = learn_together(&measured(&all), &hand);
    // A lot of which nothing is measured any more is known no longer.
    t.execute("DELETE FROM learned", [])?;
    all.iter().zip(&known.lots).try_for_each(|(one, learned)| keep_learned(t, one.lot_n, learned))
}

/// The wires of measured lots, each with what was learned of it.
pub(super) fn known_lots(connection: &Connection) -> Result<Vec<Wire>> {
    let mut statement = connection.prepare_cached("SELECT lot, flow, spread FROM learned ORDER BY lot")?;
    let rows = statement
        .query_map([], |row| Ok(LotFactor { lot_n: row.get(0)?, flow: row.get(1)?, spread: row.get(2)? }))?;
    let mut wires = vec![];
    for lot in rows {
        let lot = lot?;
        let entry: Option<Entry<Lot>> = Shelf::Lots.get(connection, lot.lot_n).ok();
        wires.extend(entry.map(|entry| Wire { lot: Some(lot), ..entry.record.covered_wire() }));
    }
    Ok(wires)
}

/// How much wire has come off a lot by now, mm; a fault of the wire where the lot is of another.
pub(crate) fn off_spool_mm(connection: &Connection, wire: &Wire) -> Result<Option<f64>> {
    let Some(lot) = wire.lot else { return Ok(None) };
    let entry: Entry<Lot> = Shelf::Lots.get(connection, lot.lot_n)?;
    let unit = super::settings::unit(connection)?;
    entry
        .record
        .gives(lot.lot_n, wire, unit)
        .map_err(|fault| StoreError::Refused(fault.within("piece").into()))?;
    let sql = "SELECT coalesce(-sum(amount), 0) FROM ledger WHERE lot = ?1 AND amount < 0";
    let off_um: i64 = connection.prepare_cached(sql)?.query_row([lot.lot_n], |row| row.get(0))?;
    Ok(Some(super::ledger::millimetres(off_um)))
}

/// The earlier trials of the same pattern in the same wire, the first first; those put away teach nothing.
pub(crate) fn trials_before(
    connection: &Connection,
    of: &Entry<PieceCheck>,
    workshop: &Workshop,
) -> Result<Vec<Trial>> {
    let Some(pattern) = of.record.pattern.filter(|_| of.record.trial.is_some()) else { return Ok(vec![]) };
    let sql = "SELECT id FROM entries WHERE shelf = 'check' AND archived = 0 AND id < ?1 \
               AND record ->> '$.pattern' = ?2 AND record ->> '$.trial' IS NOT NULL ORDER BY id";
    let mut statement = connection.prepare_cached(sql)?;
    let ids =
        statement.query_map([of.id, pattern], |row| row.get(0))?.collect::<rusqlite::Result<Vec<i64>>>()?;
    let mut trials = vec![];
    for id in ids {
        let before = checked(connection, id)?;
        if of.record.follows(&before.entry.record, workshop) {
            trials.extend(before.entry.record.trial(&before.readings, workshop));
        }
    }
    Ok(trials)
}

/// All checks in use of what is wound, with what was read of them: what the hand's own spread is learned from.
pub(crate) fn wound(connection: &Connection) -> Result<Vec<Checked>> {
    in_use(connection, "record ->> '$.piece.finding' IS NULL")
}

/// The last checks in use of what is formed on pliers: what jaws are learned from. Marks move; what is older says nothing
/// of where they are now.
pub(crate) fn formed(connection: &Connection) -> Result<Vec<Checked>> {
    let mut ids = ids_in_use(connection, "record ->> '$.piece.finding' IS NOT NULL")?;
    let older = ids.len().saturating_sub(MOST_FORMED);
    ids.drain(older..).map(|id| checked(connection, id)).collect()
}

/// Checks of formed pieces that jaws are learned from.
const MOST_FORMED: usize = 100;

fn in_use(connection: &Connection, which: &str) -> Result<Vec<Checked>> {
    ids_in_use(connection, which)?.into_iter().map(|id| checked(connection, id)).collect()
}

fn ids_in_use(connection: &Connection, which: &str) -> Result<Vec<i64>> {
    let sql =
        format!("SELECT id FROM entries WHERE shelf = 'check' AND archived = 0 AND {which} ORDER BY id");
    let mut statement = connection.prepare_cached(&sql)?;
    Ok(statement.query_map([], |row| row.get(0))?.collect::<rusqlite::Result<_>>()?)
}

/// A reading as the history lists it.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub(crate) struct ReadLine {
    /// The check it is of.
    pub check: i64,
    /// What that is called.
    pub name: String,
    /// What was measured.
    pub what: String,
    /// Of what is seen or felt: the word of its grade.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub grade: Option<String>,
    /// The reading.
    #[serde(flatten)]
    pub reading: CaliperReading,
}

/// A stretch of all that was ever read.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub(crate) struct ReadPage {
    /// Readings, the newest first.
    pub readings: Vec<ReadLine>,
    /// How many there are in all.
    pub total: i64,
}

/// The readings before a number, the newest first.
pub(crate) fn history(
    connection: &Connection,
    before: i64,
    most: u32,
    workshop: &Workshop,
) -> Result<ReadPage> {
    let total = connection.query_row("SELECT count(*) FROM readings", [], |row| row.get(0))?;
    let sql = "SELECT r.id, piece_n, dimension, value, source, made_at, aside, entry, name FROM readings AS r \
               JOIN entries AS e ON e.id = r.entry WHERE r.id < ?1 ORDER BY r.id DESC LIMIT ?2";
    let mut statement = connection.prepare_cached(sql)?;
    let rows = statement
        .query_map(params![before, most], |row| Ok((row.get::<_, i64>(7)?, row.get(8)?, reading(row)?)))?
        .collect::<rusqlite::Result<Vec<_>>>()?;
    // Few checks give a page its readings: what each of them measures is worked out once.
    let mut measured: BTreeMap<i64, Vec<ToMeasure>> = BTreeMap::new();
    let mut page = ReadPage { readings: vec![], total };
    for (check, name, reading) in rows {
        if let btree_map::Entry::Vacant(place) = measured.entry(check) {
            let record: Entry<PieceCheck> = Shelf::Checks.get(connection, check)?;
            let list = to_measure(&record.record.piece, record.record.of, workshop);
            place.insert(list.map_or(vec![], |(list, _)| list));
        }
        let one = measured[&check].iter().find(|one| one.key == reading.key);
        let what = one.map_or_else(|| reading.key.clone(), |one| one.what.clone());
        let grade = one.and_then(|one| one.grade(reading.value)).map(str::to_owned);
        page.readings.push(ReadLine { check, name, what, grade, reading });
    }
    Ok(page)
}

/// How many readings of one dimension of one piece there are.
pub(crate) fn read_n(connection: &Connection, id: i64, piece_n: u32, key: &str) -> Result<u64> {
    let sql = "SELECT count(*) FROM readings WHERE entry = ?1 AND piece_n = ?2 AND dimension = ?3";
    let n: i64 = connection.prepare_cached(sql)?.query_row(params![id, piece_n, key], |row| row.get(0))?;
    Ok(n.unsigned_abs())
}

/// The hand as it stands in the settings.
pub(crate) fn hand(connection: &Connection) -> Result<HandSpread> {
    Ok(settings(connection)?.0.hand)
}

/// Undoes a batch of changes, as [`undo::undo`] does; what was learned from checks goes with them.
pub(crate) fn undo(t: &Transaction, undone: i64) -> Result<i64> {
    let fresh = undo::undo(t, undone)?;
    if touched(t, undone)? {
        relearn_all(t)?;
    }
    Ok(fresh)
}

/// Keeps new settings; where the hand is another, every lot is learned anew.
pub(crate) fn keep_settings(t: &Transaction, new: &Settings, revision: i64) -> Result<i64> {
    let before = settings(t)?.0.hand;
    let kept = super::settings::keep_settings(t, new, revision)?;
    if new.hand != before {
        relearn_all(t)?;
    }
    Ok(kept)
}

/// Whether anything of a batch of writes touched a check, or a lot with its pull tests.
fn touched(connection: &Connection, batch: i64) -> Result<bool> {
    let sql = "SELECT EXISTS (SELECT 1 FROM changes AS c JOIN entries AS e ON e.id = c.entry \
               WHERE c.batch = ?1 AND e.shelf IN ('check', 'lot'))";
    Ok(connection.prepare_cached(sql)?.query_row([batch], |row| row.get(0)).optional()?.unwrap_or(false))
}

/// Every drill that was measured, the first first.
pub(crate) fn drilled(connection: &Connection) -> Result<Vec<Checked>> {
    in_use(connection, "record ->> '$.drill' IS NOT NULL")
}
