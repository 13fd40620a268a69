//! What is written together: the number of each batch of writes, and when it was.

use rusqlite::{Connection, Transaction};

use super::error::Result;
use crate::device;

/// The moment of a write, UTC.
pub(super) fn now() -> String {
    jiff::Timestamp::now().to_string()
}

/// The number of a new batch of changes, used for no other even where nothing comes of this one.
pub(crate) fn next(transaction: &Transaction) -> Result<i64> {
    let sql = "INSERT INTO batches (made_at, device) VALUES (?1, ?2)";
    transaction.prepare_cached(sql)?.execute([now(), device::of_write()])?;
    Ok(transaction.last_insert_rowid())
}

/// Whether a batch of writes was booked with something that happened at the bench.
pub(super) fn booked_at_the_bench(connection: &Connection, batch: i64) -> Result<bool> {
    let sql = "SELECT EXISTS (SELECT 1 FROM happened WHERE booked = ?1)";
    Ok(connection.prepare_cached(sql)?.query_row([batch], |row| row.get(0))?)
}
