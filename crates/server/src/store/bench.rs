//! What happened at the bench, batch by batch.

use jiff::Timestamp;
use lorimant_core::bench::{Batch, BatchProgress, Books, Event, EventKind, Task};
use lorimant_core::fault::Fault;
use lorimant_core::rack::stock::Lot;
use lorimant_core::tool::workshop::Workshop;
use rusqlite::{Connection, OptionalExtension as _, Transaction, params};

use super::error::{Result, StoreError};
use super::settings::settings;
use super::shelf::{Entry, Shelf};
use super::{batch, ledger, rack};
use crate::device;
use lorimant_text::text;

/// A batch with its tasks and how far it is.
pub(crate) struct Led {
    /// The batch.
    pub entry: Entry<Batch>,
    /// Its tasks in order.
    pub tasks: Vec<Task>,
    /// How far it is.
    pub progress: BatchProgress,
}

/// A batch, led.
pub(crate) fn led(connection: &Connection, id: i64, workshop: &Workshop) -> Result<Led> {
    let entry: Entry<Batch> = Shelf::Batches.get(connection, id)?;
    let tasks = entry.record.tasks(workshop).map_err(StoreError::Refused)?;
    let progress = entry.record.progress(&tasks, &events(connection, id)?);
    Ok(Led { entry, tasks, progress })
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
        events.push(Event { key, step_n, kind: happened, n, reason, at });
    }
    Ok(events)
}

/// Whether anything happened to a batch.
pub(crate) fn is_begun(connection: &Connection, id: i64) -> Result<bool> {
    let sql = "SELECT EXISTS (SELECT 1 FROM happened WHERE entry = ?1)";
    Ok(connection.prepare_cached(sql)?.query_row([id], |row| row.get(0))?)
}

/// The moments hands pressed at any batch in the last twelve hours, the earliest first.
pub(crate) fn presses(connection: &Connection, now: Timestamp) -> Result<Vec<Timestamp>> {
    let since = now.checked_sub(jiff::SignedDuration::from_hours(12)).unwrap_or(now);
    let sql = "SELECT made_at FROM happened WHERE made_at >= ?1 ORDER BY id";
    let mut statement = connection.prepare_cached(sql)?;
    let rows = statement.query_map([since.to_string()], |row| row.get::<_, String>(0))?;
    Ok(rows.filter_map(|at| at.ok()?.parse().ok()).collect())
}

/// Writes what happened, with the wire it takes off a lot or the scrap it makes; what is written already stays as it is.
pub(crate) fn happen(
    t: &Transaction,
    id: i64,
    event: &Event,
    lot: Option<i64>,
    workshop: &Workshop,
) -> Result<Led> {
    let now = led(t, id, workshop)?;
    if is_told(t, id, event)? {
        return Ok(now);
    }
    if now.entry.archived {
        let message = text!("file-bench-this-batch-closed-reopen-first");
        return Err(StoreError::Refused(Fault::new("kind", message).into()));
    }
    now.entry
        .record
        .may_happen(&now.tasks, &now.progress, event)
        .map_err(|fault| StoreError::Refused(fault.into()))?;
    let booked = book(t, id, &now, event, lot, workshop)?;
    t.prepare_cached(
        "INSERT INTO happened (key, entry, step_n, happened, n, reason, made_at, booked, device) \
         VALUES (?1, ?2, ?3, ?4, ?5, ?6, ?7, ?8, ?9)",
    )?
    .execute(params![
        event.key,
        id,
        event.step_n,
        event.kind.word(),
        event.n,
        event.reason,
        event.at.to_string(),
        booked,
        device::of_write()
    ])?;
    led(t, id, workshop)
}

/// Whether a press was told already. A key that stood for another press is refused: it would hide this one.
fn is_told(t: &Transaction, id: i64, event: &Event) -> Result<bool> {
    let sql = "SELECT entry, step_n, happened, n FROM happened WHERE key = ?1";
    let told = t.prepare_cached(sql)?.query_row([&event.key], |row| {
        Ok((row.get::<_, i64>(0)?, row.get::<_, u32>(1)?, row.get::<_, String>(2)?, row.get::<_, u32>(3)?))
    });
    let Some((entry, step_n, happened, n)) = told.optional()? else { return Ok(false) };
    let same = (step_n, happened.as_str(), n) == (event.step_n, event.kind.word(), event.n);
    let message = match (entry == id, same) {
        (true, true) => return Ok(true),
        (true, false) => text!("file-bench-this-key-was-used-for"),
        (false, _) => text!("file-bench-this-press-belongs-another-batch"),
    };
    Err(StoreError::Refused(Fault::new("key", message).into()))
}

/// Refuses a lot of other wire than the batch is made of.
fn is_its_wire(t: &Transaction, batch: &Batch, lot: i64) -> Result<()> {
    let entry: Entry<Lot> = Shelf::Lots.get(t, lot)?;
    let mut wires = vec![];
    let _ = batch.piece.clone().with_wires(|wire| wires.push(wire.clone()));
    if wires.iter().any(|wire| entry.record.covered_wire().stands_for(wire)) {
        return Ok(());
    }
    let unit = settings(t)?.0.habits().unit;
    let message = text!(
        "file-bench-this-batch-made-choose-lot",
        name = entry.name,
        record = entry.record.covered_wire().shown(unit),
        piece = batch.piece.wire().shown(unit)
    );
    Err(StoreError::Refused(Fault::new("lot", message).into()))
}

/// Books what goes with an event: cut wire off its lot, scrapped pieces onto the scrap; taken back, it is reversed. Gives
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
    match event.kind {
        EventKind::TakenBack => return put_back(t, id, event, EventKind::Done),
        EventKind::Rescued => return put_back(t, id, event, EventKind::Scrapped),
        _ => {}
    }
    if let Some(lot) = lot {
        is_its_wire(t, &now.entry.record, lot)?;
    }
    let books = now.entry.record.books(task, event, lot);
    if books.is_empty() {
        return Ok(None);
    }
    let undo = batch::next(t)?;
    for one in books {
        match one {
            Books::Cut(cut) => rack::book_cuts(t, undo, &[cut], workshop.habits.unit)?,
            Books::Scrap(scrap) => ledger::book_scrap(t, undo, &scrap)?,
        }
    }
    Ok(Some(undo))
}

/// Puts back what was booked with the presses that are taken back, the last first. Gives the batch of writes, where
/// anything was.
fn put_back(t: &Transaction, id: i64, event: &Event, of: EventKind) -> Result<Option<i64>> {
    let sql = "SELECT happened, n, booked FROM happened WHERE entry = ?1 AND step_n = ?2 \
               AND happened IN (?3, ?4) ORDER BY id";
    let mut statement = t.prepare_cached(sql)?;
    let mut rows = statement.query(params![id, event.step_n, of.word(), event.kind.word()])?;
    // The presses that stand, each with what is left of it and what was booked with it.
    let mut stand: Vec<(u32, Option<i64>)> = vec![];
    while let Some(row) = rows.next()? {
        let (happened, n): (String, u32) = (row.get(0)?, row.get(1)?);
        if happened == of.word() {
            stand.push((n, row.get(2)?));
        } else {
            take_back(&mut stand, n)?;
        }
    }
    let booked = take_back(&mut stand, event.n)?;
    if booked.is_empty() {
        return Ok(None);
    }
    let undo = batch::next(t)?;
    for batch in booked {
        for line in ledger::of_batch(t, batch)?.into_iter().rev() {
            // A line that was put right by hand meanwhile is right.
            if let Some(line) = ledger::stands_by(t, line)? {
                ledger::reverse(t, undo, line)?;
            }
        }
    }
    Ok(Some(undo))
}

/// Takes so many off the last presses; gives what was booked with those that are gone. Of a press that booked wire, all
/// of it goes back or none.
fn take_back(stand: &mut Vec<(u32, Option<i64>)>, n: u32) -> Result<Vec<i64>> {
    let (mut left_n, mut gone) = (n, vec![]);
    while let Some((of_n, booked)) = stand.last_mut().filter(|_| left_n > 0) {
        if *of_n <= left_n {
            left_n -= *of_n;
            gone.extend(*booked);
            stand.pop();
        } else if booked.is_some() {
            let message = text!("file-bench-were-cut-in-one-press", of_n);
            return Err(StoreError::Refused(Fault::new("n", message).limit(f64::from(*of_n)).into()));
        } else {
            *of_n -= left_n;
            left_n = 0;
        }
    }
    Ok(gone)
}

/// The moment something happens, as this server's clock has it.
pub(crate) fn now() -> Timestamp {
    Timestamp::now()
}
