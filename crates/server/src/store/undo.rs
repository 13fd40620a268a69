//! Taking back what was written. Nobody takes back what others went on with: they are told who did, when, and what can be
//! done instead.

use jiff::Timestamp;
use lorimant_core::fault::Fault;
use lorimant_core::words::date;
use rusqlite::{Connection, OptionalExtension as _, Transaction};

use super::error::{Result, StoreError};
use super::settings::settings;
use super::shelf::noun;
use super::shelf::{Before, log, put, state};
use super::{batch, ledger};
use lorimant_text::text;

/// Undoes a batch of changes and gives the number of the batch that undoes the undoing.
///
/// What was added is put away; what was changed is put back; what was booked is reversed. Refused as a
/// whole where anything newer stands on any of it, with who did that and when.
pub(crate) fn undo(transaction: &Transaction, undone: i64) -> Result<i64> {
    let mut statement = transaction
        .prepare("SELECT entry, before, revision FROM changes WHERE batch = ?1 ORDER BY id DESC")?;
    let rows = statement.query_map([undone], |row| {
        Ok((row.get::<_, i64>(0)?, row.get::<_, Option<String>>(1)?, row.get::<_, i64>(2)?))
    })?;
    let changes: Vec<_> = rows.collect::<std::result::Result<_, _>>()?;
    let booked = ledger::of_batch(transaction, undone)?;
    if batch::booked_at_the_bench(transaction, undone)? {
        let message = text!("file-undo-was-booked-by-press-at");
        return Err(StoreError::Refused(Fault::new("batch", message).into()));
    }
    if changes.is_empty() && booked.is_empty() {
        return Err(StoreError::Missing { what: text!("file-undo-change"), id: undone });
    }
    let fresh = batch::next(transaction)?;
    for (id, before, revision) in changes {
        let (current, at) = state(transaction, id)?;
        // What came after and was taken back again stands in nobody's way.
        if at != revision && left_by(transaction, id, revision)?.as_ref() != Some(&current) {
            return Err(changed(transaction, id, revision)?);
        }
        if before.is_none() {
            nothing_hangs_on(transaction, undone, id)?;
        }
        let back = match before {
            Some(before) => serde_json::from_str(&before)?,
            None => Before { name: current.name.clone(), record: current.record.clone(), archived: true },
        };
        put(transaction, id, &back, at + 1)?;
        log(transaction, fresh, id, Some(&current), at + 1)?;
    }
    // The last first, so that nothing is overdrawn on the way.
    for line in booked.into_iter().rev() {
        let line = ledger::stands_by(transaction, line)?.ok_or_else(StoreError::taken_back)?;
        ledger::reverse(transaction, fresh, line)?;
    }
    Ok(fresh)
}

/// The state a change left an entry in, where it was changed again since: what the next change wrote over.
fn left_by(transaction: &Transaction, id: i64, revision: i64) -> Result<Option<Before>> {
    let sql = "SELECT before FROM changes WHERE entry = ?1 AND revision > ?2 ORDER BY revision LIMIT 1";
    let next: Option<Option<String>> =
        transaction.prepare_cached(sql)?.query_row([id, revision], |row| row.get(0)).optional()?;
    Ok(next.flatten().map(|before| serde_json::from_str(&before)).transpose()?)
}

/// What others did: how many, the last when and from which device.
struct Later {
    n: u32,
    last_at: String,
    device: String,
}

impl Later {
    fn of(connection: &Connection, sql: &str, bound: impl rusqlite::Params) -> Result<Option<Self>> {
        let later = connection
            .prepare_cached(sql)?
            .query_row(bound, |row| Ok(Self { n: row.get(0)?, last_at: row.get(1)?, device: row.get(2)? }));
        Ok(later.optional()?.filter(|later| later.n > 0))
    }

    /// ` by Firefox on Linux at 14:03`, with the day where it was not today.
    fn told(&self, connection: &Connection) -> Result<String> {
        let by = if self.device.is_empty() {
            String::new()
        } else {
            text!("file-undo-from", device = self.device)
        };
        let Ok(at) = self.last_at.parse::<Timestamp>() else { return Ok(by) };
        let zone = settings(connection)?.0.zone();
        let (at, now) = (at.to_zoned_datetime(zone.clone()), Timestamp::now().to_zoned_datetime(zone));
        let clock = at.strftime("%H:%M");
        Ok(if at.date() == now.date() {
            text!("file-undo-at", by, clock)
        } else {
            text!("file-undo-on", by, day = date::short(at.date()), clock)
        })
    }
}

/// Refuses to take back the adding of a record that others went on with: a batch with presses, a lot that was cut from, a
/// check with readings.
fn nothing_hangs_on(connection: &Connection, undone: i64, id: i64) -> Result<()> {
    let (shelf, name): (String, String) = connection
        .prepare_cached("SELECT shelf, name FROM entries WHERE id = ?1")?
        .query_row([id], |row| Ok((row.get(0)?, row.get(1)?)))?;
    let presses: fn(u32) -> String = |n| text!("file-undo-presses", n);
    let readings: fn(u32) -> String = |n| text!("file-undo-readings", n);
    let entries: fn(u32) -> String = |n| text!("file-undo-entries-in-its-history", n);
    let (later, so_many, instead) = match shelf.as_str() {
        "batch" => {
            // What was pressed and taken back again stands in nobody's way.
            let sql = "SELECT count(*) OVER (), made_at, device FROM happened WHERE entry = ?1 AND EXISTS \
                       (SELECT 1 FROM happened WHERE entry = ?1 GROUP BY step_n HAVING sum(CASE happened \
                       WHEN 'taken-back' THEN -n WHEN 'rescued' THEN -n WHEN 'turned' THEN 0 ELSE n END) > 0) ORDER BY id DESC LIMIT 1";
            let instead = text!("file-undo-undo-those-at-bench-first");
            (Later::of(connection, sql, [id])?, presses, instead)
        }
        "check" => {
            let sql = "SELECT count(*) OVER (), made_at, device FROM readings WHERE entry = ?1 ORDER BY id DESC LIMIT 1";
            let instead = text!("file-undo-set-readings-aside-or-archive");
            (Later::of(connection, sql, [id])?, readings, instead)
        }
        "lot" => {
            let sql = "SELECT count(*) OVER (), l.made_at, b.device FROM ledger AS l JOIN batches AS b ON b.id = l.batch \
                       WHERE l.lot = ?1 AND l.batch <> ?2 AND l.reverses IS NULL \
                       AND NOT EXISTS (SELECT 1 FROM ledger AS back WHERE back.reverses = l.id) \
                       ORDER BY l.id DESC LIMIT 1";
            let instead = text!("file-undo-undo-those-first-or-correct");
            (Later::of(connection, sql, [id, undone])?, entries, instead)
        }
        _ => return Ok(()),
    };
    let Some(later) = later else { return Ok(()) };
    let what = so_many(later.n);
    let (noun, when) = (noun(&shelf), later.told(connection)?);
    let message = text!("file-undo-not-undone-has-since-was", noun, name, what, when, instead);
    Err(StoreError::NotUndoable(message))
}

/// Says who changed a record after a revision.
fn changed(connection: &Connection, id: i64, revision: i64) -> Result<StoreError> {
    let sql = "SELECT count(*) OVER (), c.made_at, b.device FROM changes AS c JOIN batches AS b ON b.id = c.batch \
               WHERE c.entry = ?1 AND c.revision > ?2 ORDER BY c.id DESC LIMIT 1";
    let name = state(connection, id)?.0.name;
    let when = match Later::of(connection, sql, [id, revision])? {
        Some(later) => later.told(connection)?,
        None => String::new(),
    };
    Ok(StoreError::NotUndoable(text!("file-undo-not-undone-was-changed-since", name, when)))
}
