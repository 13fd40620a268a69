//! What happened at the bench, batch by batch.

use jiff::Timestamp;
use lorimant_core::bench::{Batch, BatchStanding, Event, Happened, Task};
use lorimant_core::fault::Fault;
use lorimant_core::rack::stock::booking::{BlanksCut, LotCut};
use lorimant_core::rack::stock::scrap::ScrapChange;
use lorimant_core::tool::workshop::Workshop;
use rusqlite::{Connection, OptionalExtension as _, Transaction, params};

use super::error::{Result, StoreError};
use super::shelf::{Entry, Shelf};
use super::{batch, ledger, rack};

/// Scrap is kept in milligrams.
const LEAST_SCRAP_G: f64 = 0.001;

/// A batch with its tasks and how far it is.
pub(crate) struct Led {
    /// The batch.
    pub entry: Entry<Batch>,
    /// Its tasks in order.
    pub tasks: Vec<Task>,
    /// How far it is.
    pub standing: BatchStanding,
}

/// A batch, led.
pub(crate) fn led(connection: &Connection, id: i64, workshop: &Workshop) -> Result<Led> {
    let entry: Entry<Batch> = Shelf::Batches.get(connection, id)?;
    let tasks = entry.record.tasks(workshop).map_err(StoreError::Refused)?;
    let standing = entry.record.standing(&tasks, &events(connection, id)?);
    Ok(Led { entry, tasks, standing })
}

/// Everything that happened to a batch, in order.
fn events(connection: &Connection, id: i64) -> Result<Vec<Event>> {
    let sql = "SELECT key, step_n, happened, n, reason, made_at FROM happened WHERE entry = ?1 ORDER BY id";
    let mut statement = connection.prepare_cached(sql)?;
    let mut rows = statement.query([id])?;
    let mut events = vec![];
    while let Some(row) = rows.next()? {
        let (happened, at): (String, String) = (row.get(2)?, row.get(5)?);
        let (Ok(happened), Ok(at)) = (happened.parse(), at.parse()) else { continue };
        let (key, step_n, n, reason) = (row.get(0)?, row.get(1)?, row.get(3)?, row.get(4)?);
        events.push(Event { key, step_n, happened, n, reason, at });
    }
    Ok(events)
}

/// Writes what happened, with the wire it takes off a lot or the scrap it makes; what is written already stays as it is.
pub(crate) fn happen(
    t: &Transaction,
    id: i64,
    event: &Event,
    lot: Option<i64>,
    workshop: &Workshop,
) -> Result<Led> {
    let sql = "SELECT entry FROM happened WHERE key = ?1";
    let told: Option<i64> = t.prepare_cached(sql)?.query_row([&event.key], |row| row.get(0)).optional()?;
    let now = led(t, id, workshop)?;
    match told {
        Some(one) if one == id => return Ok(now),
        Some(_) => {
            let said = "This press was told of another batch already. Give each press a key of its own.";
            return Err(StoreError::Refused(Fault::new("key", said).into()));
        }
        None => {}
    }
    now.entry
        .record
        .may_happen(&now.tasks, &now.standing, event)
        .map_err(|fault| StoreError::Refused(fault.into()))?;
    let booked = book(t, id, &now, event, lot, workshop)?;
    t.prepare_cached(
        "INSERT INTO happened (key, entry, step_n, happened, n, reason, made_at, booked) \
         VALUES (?1, ?2, ?3, ?4, ?5, ?6, ?7, ?8)",
    )?
    .execute(params![
        event.key,
        id,
        event.step_n,
        event.happened.word(),
        event.n,
        event.reason,
        event.at.to_string(),
        booked
    ])?;
    led(t, id, workshop)
}

/// Books what goes with an event: cut wire off its lot, spoiled pieces onto the scrap; taken back, it is reversed. Gives
/// the batch of writes, where any was made.
fn book(
    t: &Transaction,
    id: i64,
    now: &Led,
    event: &Event,
    lot: Option<i64>,
    workshop: &Workshop,
) -> Result<Option<i64>> {
    let Some(task) = usize::try_from(event.step_n).ok().and_then(|n| now.tasks.get(n.checked_sub(1)?)) else {
        return Ok(None);
    };
    match (event.happened, task.off_the_spool_mm, lot) {
        (Happened::Done, Some(length_mm), Some(lot)) => {
            let undo = batch::next(t)?;
            let cuts = vec![BlanksCut { what: now.entry.name.clone(), length_mm, n: event.n }];
            let cut = LotCut { lot, cuts, trim_mm: 0.0, kerf_mm: 0.0, shortest_useful_mm: 0.0 };
            rack::book_cuts(t, undo, &[cut], workshop.habits.unit)?;
            Ok(Some(undo))
        }
        // Less than the scrap is weighed by is not booked.
        (Happened::Spoiled, ..) if task.one_g * f64::from(event.n) >= LEAST_SCRAP_G => {
            let undo = batch::next(t)?;
            let note = format!("{}, spoiled at “{}”", now.entry.name, task.step.named);
            let mass_g = task.one_g * f64::from(event.n);
            let metal = now.entry.record.piece.wire().metal;
            let note = note.chars().take(200).collect();
            ledger::book_scrap(t, undo, &ScrapChange { metal, cleanliness: task.scrap, mass_g, note })?;
            Ok(Some(undo))
        }
        (Happened::TakenBack, Some(_), _) => put_back(t, id, event),
        _ => Ok(None),
    }
}

/// Puts back onto its lot what was cut last at a step, press by press, as far as it was booked. Gives the batch of writes.
fn put_back(t: &Transaction, id: i64, event: &Event) -> Result<Option<i64>> {
    let sql = "SELECT booked, n FROM happened WHERE entry = ?1 AND step_n = ?2 AND happened = 'done' \
               AND booked IS NOT NULL ORDER BY id DESC";
    let mut statement = t.prepare_cached(sql)?;
    let rows = statement.query_map(params![id, event.step_n], |row| Ok((row.get(0)?, row.get(1)?)))?;
    let cut: Vec<(i64, u32)> = rows.collect::<rusqlite::Result<_>>()?;
    let (mut left_n, mut undo) = (event.n, None);
    for (booked, n) in cut {
        let lines = ledger::of_batch(t, booked)?;
        let lines: Vec<i64> = lines
            .into_iter()
            .filter_map(|line| ledger::stands_by(t, line).transpose())
            .collect::<Result<_>>()?;
        if left_n == 0 || lines.is_empty() {
            continue;
        }
        if n > left_n {
            let said = format!(
                "{n} were cut at one press: take back as many, so that their wire goes back to its lot."
            );
            return Err(StoreError::Refused(Fault::new("n", said).limit(f64::from(n)).into()));
        }
        let undo = match undo {
            Some(undo) => undo,
            None => *undo.insert(batch::next(t)?),
        };
        for line in lines.into_iter().rev() {
            ledger::reverse(t, undo, line)?;
        }
        left_n -= n;
    }
    Ok(undo)
}

/// The moment something happens, as this server's clock has it.
pub(crate) fn now() -> Timestamp {
    Timestamp::now()
}
