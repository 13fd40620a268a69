//! What was written, batch by batch: what a person could want to take back.

use std::collections::BTreeMap;

use lorimant_core::rack::stock::MovementKind;
use lorimant_core::words::capital;
use lorimant_core::words::length::LengthUnit;
use lorimant_core::words::scale::of_wire;
use rusqlite::Connection;
use serde::Serialize;
use utoipa::ToSchema;

use super::error::Result;
use super::ledger::millimetres;
use super::settings::settings;
use super::shelf::noun;
use lorimant_text::text;

/// Writes that were made together.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub(crate) struct WrittenBatch {
    /// Number to post to `/api/undo/{batch}`.
    pub batch: i64,
    /// When, UTC.
    pub made_at: String,
    /// What was done, in a few words.
    pub text: String,
}

/// Whether nothing was written in a batch.
pub(crate) fn is_empty(connection: &Connection, batch: i64) -> Result<bool> {
    let sql = "SELECT NOT EXISTS (SELECT 1 FROM changes WHERE batch = ?1) \
               AND NOT EXISTS (SELECT 1 FROM ledger WHERE batch = ?1)";
    Ok(connection.query_row(sql, [batch], |row| row.get(0))?)
}

/// One write of a batch.
struct Deed {
    made_at: String,
    text: String,
}

/// The last batches that were written, the newest first.
pub(crate) fn last(connection: &Connection, most: u32) -> Result<Vec<WrittenBatch>> {
    let unit = settings(connection)?.0.unit;
    let mut deeds: BTreeMap<i64, Vec<Deed>> = BTreeMap::new();
    let first = connection.query_row(
        "SELECT coalesce(min(batch), 0) FROM (SELECT batch FROM changes UNION SELECT batch FROM ledger \
         ORDER BY batch DESC LIMIT ?1)",
        [most],
        |row| row.get(0),
    )?;
    // What was booked comes first: it is what the rest was done for.
    booked(connection, first, unit, &mut deeds)?;
    changed(connection, first, &mut deeds)?;
    let batches = deeds.into_iter().rev().filter_map(|(batch, mut deeds)| {
        let made_at = deeds.first()?.made_at.clone();
        let more = match deeds.len().saturating_sub(3) {
            0 => String::new(),
            n => text!("file-history-more", n),
        };
        deeds.truncate(3);
        let texts: Vec<String> = deeds.into_iter().map(|deed| deed.text).collect();
        Some(WrittenBatch { batch, made_at, text: format!("{}{more}.", capital(&texts.join("; "))) })
    });
    Ok(batches.collect())
}

/// What was kept, changed and put away since a batch.
fn changed(connection: &Connection, first: i64, deeds: &mut BTreeMap<i64, Vec<Deed>>) -> Result<()> {
    // What an entry became is what its next change wrote over, or what it is now.
    let sql = "SELECT c.batch, c.made_at, e.shelf, CASE e.shelf WHEN 'pick' THEN (SELECT what.name FROM entries AS what \
               WHERE what.id = json_extract(e.record, '$.entry')) ELSE e.name END, c.before IS NULL, \
               json_extract(c.before, '$.archived'), \
               coalesce((SELECT json_extract(n.before, '$.archived') FROM changes AS n WHERE n.entry = c.entry \
               AND n.revision > c.revision ORDER BY n.revision LIMIT 1), e.archived) \
               FROM changes AS c JOIN entries AS e ON e.id = c.entry WHERE c.batch >= ?1 ORDER BY c.id";
    let mut statement = connection.prepare_cached(sql)?;
    let mut rows = statement.query([first])?;
    while let Some(row) = rows.next()? {
        let (shelf, name): (String, Option<String>) = (row.get(2)?, row.get(3)?);
        let name = name.unwrap_or_default();
        let (new, was_away, is_away): (bool, Option<bool>, bool) = (row.get(4)?, row.get(5)?, row.get(6)?);
        let work = matches!(shelf.as_str(), "batch" | "order");
        let what = noun(&shelf);
        let text = match (new, was_away.unwrap_or(false), is_away) {
            (true, ..) => text!("file-history-added", what, name),
            (_, false, true) if work => text!("file-history-closed", what, name),
            (_, false, true) => text!("file-history-archived", what, name),
            (_, true, false) if work => text!("file-history-reopened", what, name),
            (_, true, false) => text!("file-history-restored", what, name),
            _ => text!("file-history-changed", what, name),
        };
        deeds.entry(row.get(0)?).or_default().push(Deed { made_at: row.get(1)?, text });
    }
    Ok(())
}

/// What was booked since a batch.
fn booked(
    connection: &Connection,
    first: i64,
    unit: LengthUnit,
    deeds: &mut BTreeMap<i64, Vec<Deed>>,
) -> Result<()> {
    let sql = "SELECT l.batch, l.made_at, l.kind, l.amount, coalesce(e.name, l.pile), l.lot IS NULL, \
               l.reverses IS NOT NULL FROM ledger AS l LEFT JOIN entries AS e ON e.id = l.lot \
               WHERE l.batch >= ?1 ORDER BY l.id";
    let mut statement = connection.prepare_cached(sql)?;
    let mut rows = statement.query([first])?;
    while let Some(row) = rows.next()? {
        let (kind, amount, of): (String, i64, String) = (row.get(2)?, row.get(3)?, row.get(4)?);
        let (scrap, back): (bool, bool) = (row.get(5)?, row.get(6)?);
        let amount = millimetres(amount).abs();
        let text = if scrap {
            text!("file-history-g-scrap", amount, of)
        } else {
            let kind = kind.parse().map_or(kind, |kind: MovementKind| kind.to_string());
            format!("{} {kind}, “{of}”", of_wire(amount, unit))
        };
        let text = if back { text!("file-history-undid", text) } else { text };
        deeds.entry(row.get(0)?).or_default().push(Deed { made_at: row.get(1)?, text });
    }
    Ok(())
}
