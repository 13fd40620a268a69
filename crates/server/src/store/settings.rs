//! The workshop's settings: one record with its revision.

use lorimant_core::words::length::LengthUnit;
use rusqlite::{Connection, OptionalExtension as _, Transaction};

use super::error::{Result, StoreError};
use crate::kept::Settings;

/// The workshop's settings and their revision; the defaults at revision 0 until they are first kept.
pub(crate) fn settings(connection: &Connection) -> Result<(Settings, i64)> {
    let row = connection
        .query_row("SELECT record, revision FROM settings", [], |row| {
            Ok((row.get::<_, String>(0)?, row.get(1)?))
        })
        .optional()?;
    match row {
        Some((record, revision)) => Ok((serde_json::from_str(&record)?, revision)),
        None => Ok((Settings::default(), 0)),
    }
}

/// The unit the workshop reads first, which lists and sentences are written in.
pub(super) fn unit(connection: &Connection) -> Result<LengthUnit> {
    Ok(settings(connection)?.0.unit)
}

/// Keeps new settings over the revision they were made from; gives the new revision.
pub(crate) fn keep_settings(transaction: &Transaction, new: &Settings, revision: i64) -> Result<i64> {
    let (current, at) = settings(transaction)?;
    if at != revision {
        return Err(StoreError::Conflict { current: serde_json::to_value(current)? });
    }
    let sql = "INSERT INTO settings (id, record, revision) VALUES (1, ?1, ?2)
               ON CONFLICT (id) DO UPDATE SET record = ?1, revision = ?2";
    transaction.execute(sql, (serde_json::to_string(new)?, at + 1))?;
    Ok(at + 1)
}
