//! How the rings of makers' own weaves lie, as far as it was worked out.

use lorimant_core::chain::taut::KnownLadder;
use rusqlite::{Connection, Transaction};

use super::error::Result;

/// Every ladder that is kept. One that cannot be read is left out: it is worked out again.
pub(crate) fn all(connection: &Connection) -> Result<Vec<KnownLadder>> {
    let mut statement = connection.prepare("SELECT key, ladder FROM ladders")?;
    let rows = statement.query_map([], |row| Ok((row.get::<_, String>(0)?, row.get::<_, String>(1)?)))?;
    let mut all = vec![];
    for row in rows {
        let (key, ladder) = row?;
        if let Ok(ladder) = serde_json::from_str(&ladder) {
            all.push(KnownLadder { key, ladder });
        }
    }
    Ok(all)
}

/// Keeps ladders that were worked out.
pub(crate) fn keep(t: &Transaction, ladders: &[KnownLadder]) -> Result<()> {
    let mut insert = t.prepare_cached("INSERT OR REPLACE INTO ladders (key, ladder) VALUES (?1, ?2)")?;
    for KnownLadder { key, ladder } in ladders {
        insert.execute((key, serde_json::to_string(ladder)?))?;
    }
    Ok(())
}
