//! The sessions that are open, in the file: a restart locks nobody out.

use rusqlite::{Connection, Transaction};

use super::error::Result;

/// A hash of a session's token.
pub(crate) type Token = [u8; 32];

/// Every session with when it was last used, in seconds since 1970.
pub(crate) fn all(connection: &Connection) -> Result<Vec<(Token, i64)>> {
    let mut statement = connection.prepare_cached("SELECT token, seen_at FROM sessions")?;
    let rows = statement.query_map([], |row| Ok((row.get(0)?, row.get(1)?)))?;
    Ok(rows.collect::<rusqlite::Result<_>>()?)
}

/// Notes a session, and when it was last used.
pub(crate) fn open(t: &Transaction, token: &Token, seen_at: i64) -> Result<()> {
    let sql = "INSERT INTO sessions (token, seen_at) VALUES (?1, ?2) ON CONFLICT (token) DO UPDATE SET seen_at = ?2";
    t.prepare_cached(sql)?.execute((token, seen_at))?;
    Ok(())
}

/// Closes a session.
pub(crate) fn close(t: &Transaction, token: &Token) -> Result<()> {
    t.prepare_cached("DELETE FROM sessions WHERE token = ?1")?.execute([token])?;
    Ok(())
}
