//! Carries what was written from SQLite's log into the file itself, so that copying the one file copies all of it.
//!
//! Every acknowledged write is safe in the log beside the file from the first moment; but people copy the file and
//! know nothing of a log. It is emptied at the start, at the stop, and whenever nothing was written for a moment.

use std::sync::mpsc::{Receiver, RecvTimeoutError, Sender, channel};
use std::sync::{Arc, Mutex, PoisonError, Weak};
use std::thread;
use std::time::{Duration, Instant};

use rusqlite::Connection;

use super::error::Result;
use super::place::Place;

/// How long nothing is written before the log is emptied.
const QUIET: Duration = Duration::from_millis(150);
/// How long it may wait for that while writes go on.
const AT_MOST: Duration = Duration::from_secs(2);
/// How long SQLite waits for others at other times.
const PATIENCE: Duration = Duration::from_secs(5);

/// Empties the log into the file; gives whether all of it went, which a reader in the middle of something delays.
pub(super) fn now(connection: &Connection) -> rusqlite::Result<bool> {
    connection.busy_timeout(Duration::ZERO)?;
    let busy = connection.query_row("PRAGMA wal_checkpoint(TRUNCATE)", [], |row| row.get::<_, i64>(0));
    connection.busy_timeout(PATIENCE)?;
    busy.map(|busy| busy == 0)
}

/// Empties the log after each pause in the writing that is told of, as long as the writer is there.
pub(super) fn whenever_quiet(
    writer: Weak<Mutex<Connection>>,
    place: Arc<Place>,
) -> std::io::Result<Sender<()>> {
    let (wrote, told) = channel();
    thread::Builder::new().name("checkpoint".to_owned()).spawn(move || follow(&writer, &place, &told))?;
    Ok(wrote)
}

/// Empties the log into the file where that is still the file it belongs to.
pub(super) fn carry_over(connection: &Connection, place: &Place) -> Result<bool> {
    place.check()?;
    // Whoever looks meanwhile finds the file as nobody has left it yet, and that is no fault.
    place.changes();
    let done = now(connection);
    place.note();
    Ok(done?)
}

fn follow(writer: &Weak<Mutex<Connection>>, place: &Place, told: &Receiver<()>) {
    while told.recv().is_ok() {
        let since = Instant::now();
        loop {
            while since.elapsed() < AT_MOST && told.recv_timeout(QUIET).is_ok() {}
            let Some(writer) = writer.upgrade() else { return };
            let done = carry_over(&writer.lock().unwrap_or_else(PoisonError::into_inner), place);
            match done {
                Ok(true) => break,
                // A reader is in the middle of something: again in a moment, unless the workshop is closed.
                Ok(false) => {
                    if told.recv_timeout(AT_MOST) == Err(RecvTimeoutError::Disconnected) {
                        return;
                    }
                }
                Err(error) => {
                    tracing::error!(%error, "the log could not be emptied into the file");
                    break;
                }
            }
        }
    }
}
