//! A copy put in the place of what is there, while others go on reading.

use std::path::{Path, PathBuf};
use std::sync::PoisonError;
use std::time::Duration;

use rusqlite::backup::Backup;
use rusqlite::{Connection, OptionalExtension};
use tempfile::TempDir;

use super::error::{Result, StoreError};
use super::sessions::{self, Session, Token};
use super::{Held, MIGRATIONS, Store, VERSIONS, copies, earlier, place, search, sound, written};
use lorimant_text::text;

/// Pages that are copied at a time.
const PAGES: i32 = 1000;

/// What is of this machine, not of what is kept: who may come in, where the server answers, and which write this one is.
struct Own {
    passphrase: Option<String>,
    sessions: Vec<(Token, Session)>,
    served: Option<String>,
    written: Option<(String, String)>,
}

impl Own {
    fn of(connection: &Connection) -> Result<Self> {
        let one = |sql| connection.query_row(sql, [], |row| row.get(0)).optional();
        let written = "SELECT workshop, mark FROM written";
        Ok(Self {
            passphrase: one("SELECT hash FROM passphrase")?,
            // An older file that is only read has them in another form: whoever was in signs in again.
            sessions: sessions::all(connection).unwrap_or_default(),
            served: one("SELECT address FROM served")?,
            written: connection.query_row(written, [], |row| Ok((row.get(0)?, row.get(1)?))).optional()?,
        })
    }

    fn put(&self, connection: &Connection) -> Result<()> {
        connection.execute_batch("DELETE FROM passphrase; DELETE FROM sessions; DELETE FROM served;")?;
        if let Some(hash) = &self.passphrase {
            connection.execute("INSERT INTO passphrase (id, hash) VALUES (1, ?1)", [hash])?;
        }
        for (token, session) in &self.sessions {
            sessions::note(connection, token, session)?;
        }
        if let Some(address) = &self.served {
            connection.execute("INSERT INTO served (id, address) VALUES (1, ?1)", [address])?;
        }
        if let Some((workshop, mark)) = &self.written {
            // The log goes on from the file as it is: a restore is its next write.
            connection.execute("UPDATE written SET workshop = ?1, mark = ?2", [workshop, mark])?;
        }
        Ok(written::count(connection)?)
    }
}

/// A copy made ready to take the place of a file: checked, brought up to date, and this machine's own put in.
struct Ready {
    connection: Connection,
    path: PathBuf,
    /// Gone with all that is in it once it was used.
    _folder: TempDir,
}

impl Ready {
    /// Refuses a copy that is no workshop's, of a newer program, or not sound.
    fn of(from: &Path, own: Option<&Own>) -> Result<Self> {
        let copy = written::open_as_it_stands(from)?;
        place::is_ours(&copy, VERSIONS.len())?;
        if place::version(&copy)? == 0 {
            return Err(StoreError::Unsound(text!("file-restore-empty").to_owned()));
        }
        let refused = |problems: Vec<String>| match problems.first() {
            Some(problem) => Err(StoreError::Unsound(problem.trim_end_matches('.').to_owned())),
            None => Ok(()),
        };
        refused(sound::quick(&copy)?)?;
        let folder = tempfile::tempdir().map_err(StoreError::Unopened)?;
        let path = folder.path().join("ready.lorimant");
        let mut connection = Connection::open(&path)?;
        Backup::new(&copy, &mut connection)?.run_to_completion(PAGES, Duration::ZERO, None)?;
        search::teach(&connection)?;
        earlier::teach(&connection)?;
        MIGRATIONS.to_latest(&mut connection)?;
        refused(sound::whole(&connection)?.problems)?;
        if let Some(own) = own {
            own.put(&connection)?;
        }
        Ok(Self { connection, path, _folder: folder })
    }

    /// An open file with a log keeps the size of its pages: the copy is written in it.
    fn in_pages_of(&self, bytes: i64) -> rusqlite::Result<()> {
        self.connection
            .execute_batch(&format!("PRAGMA journal_mode = DELETE; PRAGMA page_size = {bytes}; VACUUM;"))
    }
}

impl Store {
    /// Puts a copy in the place of all that is kept here, and keeps what it replaces as a dated copy; gives where that is,
    /// which is nowhere if the file was gone. Who may come in stays as it is. Also where the file was damaged, moved or
    /// written over by others: it is kept byte by byte then.
    ///
    /// # Errors
    /// When the copy is no workshop's, of a newer program, or damaged, and when the file cannot be written: what was there is
    /// there then.
    pub fn restore(&self, from: &Path) -> Result<Option<PathBuf>> {
        let _alone = self.restoring.lock().unwrap_or_else(PoisonError::into_inner);
        self.restore_alone(from)
    }

    fn restore_alone(&self, from: &Path) -> Result<Option<PathBuf>> {
        let file = self.file();
        let mut writer = file.writer();
        let path = file.place.path();
        if file.may_write().is_err() {
            let own = Own::of(&writer).ok();
            let kept = put_in_place(Ready::of(from, own.as_ref())?, path)?;
            // It stays held until the program ends, as the file before is.
            let _held = Held::take(path)?;
            self.open_anew(path)?;
            return Ok(kept);
        }
        let ready = Ready::of(from, Some(&Own::of(&writer)?))?;
        let page: i64 = writer.pragma_query_value(None, "page_size", |row| row.get(0))?;
        ready.in_pages_of(page)?;
        let kept = copies::make(&writer, path, copies::Why::Restore)?;
        // One transaction of SQLite's own: a kill in the middle leaves what was there.
        Backup::new(&ready.connection, &mut writer)?.run_to_completion(PAGES, Duration::ZERO, None)?;
        self.written(&file, &writer);
        Ok(Some(kept))
    }

    /// Goes on with what somebody else put in the place of the file, as if it had been restored.
    ///
    /// # Errors
    /// As [`Store::restore`]; when the file is the one that was opened.
    pub fn use_what_is_there(&self) -> Result<Option<PathBuf>> {
        let _alone = self.restoring.lock().unwrap_or_else(PoisonError::into_inner);
        let file = self.file();
        if !file.was_changed_by_others() {
            return Err(StoreError::Unsound(text!("file-restore-file-that-in-use").to_owned()));
        }
        // SQLite knows the file and its log as they were: it is shown copies of both.
        let folder = tempfile::tempdir().map_err(StoreError::Unopened)?;
        let copy = folder.path().join("there.lorimant");
        written::copy_with_its_log(file.place.path(), &copy)?;
        self.restore_alone(&copy)
    }

    /// The same as [`Store::restore`] of a file that no server has.
    ///
    /// # Errors
    /// As [`Store::restore`]; when a server has the file.
    pub fn restore_file(from: &Path, path: &Path) -> Result<Option<PathBuf>> {
        let _held = Held::take(path)?;
        let store = Self::open(path)?;
        let kept = store.restore(from)?;
        store.settle()?;
        Ok(kept)
    }
}

/// Puts a copy where the file is; what was there is kept as it is, and a log beside it put aside. Whoever has the file open
/// goes on with the one before.
fn put_in_place(ready: Ready, path: &Path) -> Result<Option<PathBuf>> {
    ready.connection.execute_batch("PRAGMA journal_mode = DELETE;")?;
    drop(ready.connection);
    let kept = path.exists().then(|| copies::keep_as_it_is(path, copies::Why::Restore)).transpose()?;
    written::put_log_aside(path)?;
    place::put(&ready.path, path)?;
    Ok(kept)
}
