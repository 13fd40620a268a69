//! What is written together: the number of each batch of writes, and when it was.

use rusqlite::Transaction;

use super::error::Result;

/// The moment of a write, UTC.
pub(super) fn now() -> String {
    jiff::Timestamp::now().to_string()
}

/// The number of a new batch of changes.
pub(crate) fn next(transaction: &Transaction) -> Result<i64> {
    let sql = "SELECT 1 + max((SELECT coalesce(max(batch), 0) FROM changes), (SELECT coalesce(max(batch), 0) FROM ledger))";
    Ok(transaction.prepare_cached(sql)?.query_row([], |row| row.get(0))?)
}
