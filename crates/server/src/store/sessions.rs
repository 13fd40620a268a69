//! The sessions that are open, in the file: a restart locks nobody out.

use rusqlite::{Connection, Transaction};

use super::error::Result;

/// A hash of a session's token.
pub(crate) type Token = [u8; 32];

/// A session as the file has it.
#[derive(Debug, Clone, PartialEq)]
pub(crate) struct Session {
    /// For which device, as it was named when it signed in.
    pub device: String,
    /// When it signed in, in seconds since 1970; 0 where that is not known.
    pub opened_at: i64,
    /// When it was last used, in seconds since 1970.
    pub seen_at: i64,
}

/// Every session.
pub(crate) fn all(connection: &Connection) -> Result<Vec<(Token, Session)>> {
    let sql = "SELECT token, device, opened_at, seen_at FROM sessions";
    let mut statement = connection.prepare_cached(sql)?;
    let rows = statement.query_map([], |row| {
        Ok((row.get(0)?, Session { device: row.get(1)?, opened_at: row.get(2)?, seen_at: row.get(3)? }))
    })?;
    Ok(rows.collect::<rusqlite::Result<_>>()?)
}

/// Notes a session, and when it was last used.
pub(crate) fn note(t: &Connection, token: &Token, session: &Session) -> Result<()> {
    let sql = "INSERT INTO sessions (token, device, opened_at, seen_at) VALUES (?1, ?2, ?3, ?4) \
               ON CONFLICT (token) DO UPDATE SET seen_at = ?4";
    t.prepare_cached(sql)?.execute((token, &session.device, session.opened_at, session.seen_at))?;
    Ok(())
}

/// Closes a session.
pub(crate) fn close(t: &Transaction, token: &Token) -> Result<()> {
    t.prepare_cached("DELETE FROM sessions WHERE token = ?1")?.execute([token])?;
    Ok(())
}
