//! A copy put in the place of what is there, while others go on reading.

use std::path::{Path, PathBuf};

use rusqlite::backup::Backup;
use rusqlite::{Connection, OpenFlags, OptionalExtension};

use super::error::{Result, StoreError};
use super::{MIGRATIONS, Store, VERSIONS, copies, place, read_workshop, search, sound, written};

/// Pages that are copied at a time.
const PAGES: i32 = 1000;

/// Who may come in, and where the server answers: of this machine, not of what is kept.
struct Access {
    passphrase: Option<String>,
    sessions: Vec<(Vec<u8>, i64)>,
    served: Option<String>,
}

impl Access {
    fn of(connection: &Connection) -> Result<Self> {
        let one = |sql| connection.query_row(sql, [], |row| row.get(0)).optional();
        let mut sessions = connection.prepare("SELECT token, seen_at FROM sessions")?;
        let sessions = sessions.query_map([], |row| Ok((row.get(0)?, row.get(1)?)))?;
        Ok(Self {
            passphrase: one("SELECT hash FROM passphrase")?,
            sessions: sessions.collect::<rusqlite::Result<_>>()?,
            served: one("SELECT address FROM served")?,
        })
    }

    fn put(&self, connection: &Connection) -> rusqlite::Result<()> {
        connection.execute_batch("DELETE FROM passphrase; DELETE FROM sessions; DELETE FROM served;")?;
        if let Some(hash) = &self.passphrase {
            connection.execute("INSERT INTO passphrase (id, hash) VALUES (1, ?1)", [hash])?;
        }
        for (token, seen_at) in &self.sessions {
            connection.execute("INSERT INTO sessions (token, seen_at) VALUES (?1, ?2)", (token, seen_at))?;
        }
        if let Some(address) = &self.served {
            connection.execute("INSERT INTO served (id, address) VALUES (1, ?1)", [address])?;
        }
        Ok(())
    }
}

/// Refuses a copy that is no workshop's, of a newer program, or not sound.
fn sound_copy(from: &Path) -> Result<Connection> {
    let copy = Connection::open_with_flags(from, OpenFlags::SQLITE_OPEN_READ_ONLY)?;
    search::teach(&copy)?;
    place::is_ours(&copy, VERSIONS.len())?;
    let tables: i64 = copy.query_row("SELECT count(*) FROM sqlite_master", [], |row| row.get(0))?;
    if tables == 0 {
        return Err(StoreError::Unsound("it is empty".to_owned()));
    }
    let version = place::version(&copy)?;
    // Earlier forms have fewer tables; they are looked at whole once they are brought up to date.
    let problems =
        if version == VERSIONS.len() { sound::whole(&copy)?.problems } else { sound::quick(&copy)? };
    match problems.first() {
        Some(problem) => Err(StoreError::Unsound(problem.trim_end_matches('.').to_owned())),
        None => Ok(copy),
    }
}

impl Store {
    /// Puts a copy in the place of all that is kept here, and keeps what it replaces as a dated copy; gives where that is.
    /// Who may come in stays as it is.
    ///
    /// # Errors
    /// When the copy is no workshop's, of a newer program, or damaged, and when the file cannot be written: what was there is
    /// there then.
    pub fn restore(&self, from: &Path) -> Result<PathBuf> {
        let copy = sound_copy(from)?;
        let mut writer = self.writer();
        self.may_write()?;
        let access = Access::of(&writer)?;
        let kept = copies::make(&writer, self.place.path(), copies::Why::Restore)?;
        // One transaction of SQLite's own: a kill in the middle leaves what was there.
        Backup::new(&copy, &mut writer)?.run_to_completion(PAGES, std::time::Duration::ZERO, None)?;
        MIGRATIONS.to_latest(&mut writer)?;
        let transaction = writer.transaction()?;
        access.put(&transaction)?;
        written::count(&transaction)?;
        transaction.commit()?;
        let _ = self.wrote.send(());
        let workshop = read_workshop(&writer);
        if let Err(error) = &workshop {
            tracing::error!(%error, "the workshop could not be read anew");
        }
        self.know(workshop.ok());
        Ok(kept)
    }
}
