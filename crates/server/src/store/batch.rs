//! What is written together: the number of each batch of writes, and when it was.

use rusqlite::Transaction;

use super::error::Result;

/// The moment of a write, UTC.
pub(super) fn now() -> String {
    jiff::Timestamp::now().to_string()
}

/// The number of a new batch of changes, used for no other even where nothing comes of this one.
pub(crate) fn next(transaction: &Transaction) -> Result<i64> {
    transaction.prepare_cached("INSERT INTO batches (made_at) VALUES (?1)")?.execute([now()])?;
    Ok(transaction.last_insert_rowid())
}
