//! The rack's ledger: lines are added, never changed; what is left is their sum.

use std::collections::HashMap;

use lorimant_core::fault::Fault;
use lorimant_core::rack::stock::scrap::{Cleanliness, ScrapChange};
use lorimant_core::rack::stock::{Movement, MovementKind};
use lorimant_core::wire::metal::Metal;
use rusqlite::{Connection, OptionalExtension as _, Transaction, params};
use serde::Serialize;
use utoipa::ToSchema;

use super::batch::now;
use super::error::{Result, StoreError};
use lorimant_text::text;

/// A line as it stands in the ledger of a lot.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub(crate) struct LedgerLine {
    /// Its number.
    pub id: i64,
    /// When it was booked, UTC.
    pub made_at: String,
    /// Why, by how much, what for.
    #[serde(flatten)]
    pub movement: Movement,
    /// What was left after it, mm.
    pub left_mm: f64,
    /// The line it reverses.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub reverses: Option<i64>,
    /// Whether another line reverses it.
    pub reversed: bool,
}

/// Thousandths of a millimetre.
#[expect(clippy::cast_possible_truncation, reason = "lengths are checked to be below 1e7 mm")]
fn micrometres(mm: f64) -> i64 {
    (mm * 1000.0).round() as i64
}

#[expect(clippy::cast_precision_loss, reason = "sums stay far below 2^53")]
pub(crate) fn millimetres(um: i64) -> f64 {
    um as f64 / 1000.0
}

/// What is left of a lot, mm.
pub(crate) fn left_mm(connection: &Connection, lot: i64) -> Result<f64> {
    Ok(millimetres(left_um(connection, lot)?))
}

fn left_um(connection: &Connection, lot: i64) -> Result<i64> {
    let sql = "SELECT coalesce((SELECT amount FROM lots_left WHERE lot = ?1), 0)";
    Ok(connection.prepare_cached(sql)?.query_row([lot], |row| row.get(0))?)
}

/// What is left of every lot by its number, thousandths of a millimetre.
pub(crate) fn left_of_all(connection: &Connection) -> Result<HashMap<i64, i64>> {
    let mut statement = connection.prepare_cached("SELECT lot, amount FROM lots_left")?;
    let rows = statement.query_map([], |row| Ok((row.get(0)?, row.get(1)?)))?;
    Ok(rows.collect::<rusqlite::Result<_>>()?)
}

/// Books a line for a lot; refused where more would go out than there is.
pub(crate) fn book(t: &Transaction, batch: i64, lot: i64, line: &Movement) -> Result<()> {
    line.check()?;
    let amount = micrometres(line.length_mm);
    not_overdrawn(left_um(t, lot)?, amount, "length_mm", ("mm", text!("file-ledger-lot")))?;
    let sql = "INSERT INTO ledger (batch, lot, kind, amount, note, made_at) VALUES (?1, ?2, ?3, ?4, ?5, ?6)";
    t.prepare_cached(sql)?.execute(params![batch, lot, line.kind.word(), amount, line.note, now()])?;
    Ok(())
}

fn on_pile_mg(connection: &Connection, pile: &str) -> Result<i64> {
    let sql = "SELECT coalesce(sum(amount), 0) FROM ledger WHERE pile = ?1";
    Ok(connection.prepare_cached(sql)?.query_row([pile], |row| row.get(0))?)
}

/// Books a change of scrap; refused where more would be taken out than lies there.
pub(crate) fn book_scrap(t: &Transaction, batch: i64, change: &ScrapChange) -> Result<()> {
    let pile = format!("{} {}", change.metal.word(), change.cleanliness.word());
    change.check()?;
    // Milligrams, as lengths are in thousandths of a millimetre.
    let amount = micrometres(change.mass_g);
    not_overdrawn(on_pile_mg(t, &pile)?, amount, "mass_g", ("g", text!("file-ledger-pile")))?;
    let kind = if amount < 0 { text!("file-ledger-taken-out") } else { text!("file-ledger-put-in") };
    let sql = "INSERT INTO ledger (batch, pile, kind, amount, note, made_at) VALUES (?1, ?2, ?3, ?4, ?5, ?6)";
    t.execute(sql, params![batch, pile, kind, amount, change.note, now()])?;
    Ok(())
}

/// Refuses a change after which its lot or pile would hold less than nothing.
fn not_overdrawn(left: i64, change: i64, field: &str, (unit, noun): (&str, &str)) -> Result<()> {
    if left + change >= 0 {
        return Ok(());
    }
    let (left, out) = (millimetres(left), millimetres(-change));
    let message = text!("file-ledger-that-takes-off-only-left", out, unit, noun, left);
    Err(StoreError::Refused(Fault::new(field, message).limit(left).into()))
}

/// The lines of a lot, newest first.
pub(crate) fn lines(connection: &Connection, lot: i64) -> Result<Vec<LedgerLine>> {
    let sql = "SELECT id, made_at, kind, amount, note, reverses, sum(amount) OVER (ORDER BY id), \
               EXISTS (SELECT 1 FROM ledger AS back WHERE back.reverses = ledger.id) \
               FROM ledger WHERE lot = ?1 ORDER BY id DESC";
    let mut statement = connection.prepare_cached(sql)?;
    let rows = statement.query_map([lot], |row| {
        let kind: String = row.get(2)?;
        Ok(LedgerLine {
            id: row.get(0)?,
            made_at: row.get(1)?,
            movement: Movement {
                kind: kind.parse().unwrap_or(MovementKind::Corrected),
                length_mm: millimetres(row.get(3)?),
                note: row.get(4)?,
            },
            left_mm: millimetres(row.get(6)?),
            reverses: row.get(5)?,
            reversed: row.get(7)?,
        })
    })?;
    Ok(rows.collect::<rusqlite::Result<_>>()?)
}

/// The most there ever was of a lot, mm.
pub(crate) fn most_mm(connection: &Connection, lot: i64) -> Result<f64> {
    let sql = "SELECT coalesce(max(held), 0) FROM (SELECT sum(amount) OVER (ORDER BY id) AS held FROM ledger WHERE lot = ?1)";
    Ok(millimetres(connection.prepare_cached(sql)?.query_row([lot], |row| row.get(0))?))
}

/// Scrap by metal and cleanliness, g; piles that are empty are left out.
pub(crate) fn piles(connection: &Connection) -> Result<Vec<(Metal, Cleanliness, f64)>> {
    let sql = "SELECT pile, sum(amount) FROM ledger WHERE pile IS NOT NULL GROUP BY pile HAVING sum(amount) > 0 ORDER BY pile";
    let mut statement = connection.prepare_cached(sql)?;
    let rows = statement.query_map([], |row| Ok((row.get::<_, String>(0)?, row.get::<_, i64>(1)?)))?;
    let mut piles = vec![];
    for row in rows {
        let (pile, mg) = row?;
        let words =
            pile.split_once(' ').and_then(|(metal, clean)| Some((metal.parse().ok()?, clean.parse().ok()?)));
        if let Some((metal, cleanliness)) = words {
            piles.push((metal, cleanliness, millimetres(mg)));
        }
    }
    Ok(piles)
}

/// Reverses one line by another of the opposite amount; refused where what came in by it is gone.
pub(crate) fn reverse(t: &Transaction, batch: i64, id: i64) -> Result<()> {
    let sql = "SELECT lot, pile, amount, EXISTS (SELECT 1 FROM ledger AS back WHERE back.reverses = ledger.id) \
               FROM ledger WHERE id = ?1";
    let line: Option<(Option<i64>, Option<String>, i64, bool)> = t
        .prepare_cached(sql)?
        .query_row([id], |row| Ok((row.get(0)?, row.get(1)?, row.get(2)?, row.get(3)?)))
        .optional()?;
    let (lot, pile, amount, reversed) =
        line.ok_or(StoreError::Missing { what: text!("file-ledger-line-history"), id })?;
    if reversed {
        return Err(StoreError::taken_back());
    }
    match (lot, pile) {
        (Some(lot), _) => {
            not_overdrawn(left_um(t, lot)?, -amount, "length_mm", ("mm", text!("file-ledger-lot")))?
        }
        (None, pile) => {
            let lies = on_pile_mg(t, &pile.unwrap_or_default())?;
            not_overdrawn(lies, -amount, "mass_g", ("g", text!("file-ledger-pile")))?;
        }
    }
    t.execute(
        "INSERT INTO ledger (batch, lot, pile, kind, amount, note, made_at, reverses) \
         SELECT ?2, lot, pile, kind, -amount, note, ?3, id FROM ledger WHERE id = ?1",
        params![id, batch, now()],
    )?;
    Ok(())
}

/// The line that a line stands by: itself, or where it was reversed and done again, the last that did it again.
/// None where it was reversed and is no more.
pub(crate) fn stands_by(t: &Transaction, id: i64) -> Result<Option<i64>> {
    let sql = "SELECT id FROM ledger WHERE reverses = ?1";
    let (mut last, mut stands) = (id, true);
    while let Some(next) = t.prepare_cached(sql)?.query_row([last], |row| row.get(0)).optional()? {
        (last, stands) = (next, !stands);
    }
    Ok(stands.then_some(last))
}

/// The lines booked in a batch, oldest first.
pub(crate) fn of_batch(t: &Transaction, batch: i64) -> Result<Vec<i64>> {
    let mut statement = t.prepare_cached("SELECT id FROM ledger WHERE batch = ?1 ORDER BY id")?;
    let rows = statement.query_map([batch], |row| row.get(0))?;
    Ok(rows.collect::<rusqlite::Result<_>>()?)
}

/// Books several lines for a lot.
///
/// # Errors
/// As [`book`], with what is wrong with each line.
pub(crate) fn book_all(t: &Transaction, batch: i64, lot: i64, lines: &[Movement]) -> Result<()> {
    for (i, line) in lines.iter().enumerate() {
        book(t, batch, lot, line).map_err(|error| error.within(&format!("ledger[{i}]")))?;
    }
    Ok(())
}

/// The lines of a lot that stand, oldest first: pairs that cancel each other are left out.
pub(crate) fn lines_that_count(connection: &Connection, lot: i64) -> Result<Vec<Movement>> {
    let mut lines = lines(connection, lot)?;
    lines.reverse();
    // A line that reverses a reversal does again what was first booked; one that reverses once does not.
    let mut undoes = HashMap::new();
    for line in &lines {
        let does = line.reverses.and_then(|id| undoes.get(&id)).is_some_and(|undoes: &bool| !*undoes);
        undoes.insert(line.id, does);
    }
    let stands = |line: &LedgerLine| !line.reversed && undoes.get(&line.id) == Some(&false);
    Ok(Movement::covered(lines.into_iter().filter(stands).map(|line| line.movement).collect()))
}
