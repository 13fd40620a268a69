//! Whether a file is sound: its pages, what refers to what, kept sums against their lines, every record readable.

use std::io;

use rusqlite::Connection;

use super::error::Result;
use super::whole;
use lorimant_text::text;

/// Most problems that are listed.
const MOST: usize = 20;

/// What a file holds, and what is wrong with it.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Soundness {
    /// Records and lines that were read.
    pub lines_n: u64,
    /// What is wrong, in sentences; nothing of a sound file.
    pub problems: Vec<String>,
}

/// Looks at pages and indexes only: what is done at each start.
pub(super) fn quick(connection: &Connection) -> rusqlite::Result<Vec<String>> {
    told(connection, "PRAGMA quick_check(5)")
}

fn told(connection: &Connection, check: &str) -> rusqlite::Result<Vec<String>> {
    let mut rows = connection.prepare(check)?;
    let lines = rows.query_map([], |row| row.get::<_, String>(0))?;
    let lines: Vec<String> = lines.collect::<rusqlite::Result<_>>()?;
    Ok(lines.into_iter().filter(|line| line != "ok").take(MOST).collect())
}

/// Looks at all of it.
///
/// # Errors
/// When the file cannot be read at all.
pub(super) fn whole(connection: &Connection) -> Result<Soundness> {
    let mut problems = told(connection, "PRAGMA integrity_check(20)")?;
    let mut strays =
        connection.prepare("SELECT \"table\", count(*) FROM pragma_foreign_key_check GROUP BY 1")?;
    let strays = strays.query_map([], |row| Ok((row.get::<_, String>(0)?, row.get::<_, i64>(1)?)))?;
    for stray in strays {
        let (table, n) = stray?;
        problems.push(text!("file-sound-lines-refer-something-that-not", n, table));
    }
    let sums = "SELECT l.lot, l.amount, coalesce(sum(g.amount), 0) FROM lots_left l LEFT JOIN ledger g ON g.lot = l.lot \
                GROUP BY l.lot HAVING l.amount <> coalesce(sum(g.amount), 0)";
    let mut sums = connection.prepare(sums)?;
    let sums = sums.query_map([], |row| {
        Ok((row.get::<_, i64>(0)?, row.get::<_, f64>(1)? / 1000.0, row.get::<_, f64>(2)? / 1000.0))
    })?;
    for sum in sums.take(MOST) {
        let (lot, kept, added) = sum?;
        problems.push(text!("file-sound-lot-its-ledger-adds-up", lot, added, kept));
    }
    let lines_n = match whole::write_out(connection, &mut io::sink()) {
        Ok(lines_n) => lines_n,
        Err(error) => {
            problems.push(text!("file-sound-record-cannot-be-read", error));
            0
        }
    };
    problems.truncate(MOST);
    Ok(Soundness { lines_n, problems })
}
