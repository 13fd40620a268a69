//! Where the file is: whose it is, that one server has it at a time, and that it stays where it was opened.
//!
//! People copy, move and replace files while a program has them open. SQLite goes on writing to the file it opened,
//! wherever that has gone, and acknowledges what nobody will find again; so the file is looked for before each write.

use std::fs::{File, OpenOptions, TryLockError};
use std::io;
use std::path::{Path, PathBuf};
use std::sync::{Mutex, PoisonError};
use std::time::{Duration, Instant, SystemTime};

use rusqlite::{Connection, OpenFlags};

use super::error::{Result, StoreError};
use super::written;
use lorimant_text::text;

/// What tells this program's files from others': "Lori". `migrations/04-batches.sql` writes it.
const APPLICATION_ID: i32 = 0x4C6F_7269;
/// The last version of the tables whose files did not say whose they are.
const LAST_UNSIGNED: i32 = 3;

/// Where the file was opened, and which one it is.
#[derive(Debug)]
pub(super) struct Place {
    path: PathBuf,
    file: Identity,
    /// The file as this program left it: only what is carried over from the log changes it.
    left: Mutex<Left>,
}

/// How long the file is, and when it was last changed.
type Left = Option<(u64, SystemTime)>;

/// What stays the same of a file whatever it is called; nothing where the system does not tell.
type Identity = Option<(u64, u64)>;

/// Makes a file that is not there yet, for its owner alone to read.
fn make(path: &Path) -> io::Result<()> {
    let mut new = OpenOptions::new();
    new.write(true).create_new(true);
    #[cfg(unix)]
    std::os::unix::fs::OpenOptionsExt::mode(&mut new, 0o600);
    new.open(path).map(|_| ())
}

impl Place {
    /// Notes which file it is; makes one where there is none.
    pub(super) fn of(path: &Path) -> Result<Self> {
        match make(path) {
            Err(error) if error.kind() != io::ErrorKind::AlreadyExists => Err(StoreError::Unopened(error)),
            _ => Self::there(path),
        }
    }

    /// Makes a file where there must be none yet.
    pub(super) fn anew(path: &Path) -> Result<Self> {
        make(path).map_err(|error| match error.kind() {
            io::ErrorKind::AlreadyExists => StoreError::Occupied(path.display().to_string()),
            _ => StoreError::Unopened(error),
        })?;
        Self::there(path)
    }

    fn there(path: &Path) -> Result<Self> {
        let path = path.canonicalize().map_err(StoreError::Unopened)?;
        let file = identity(&path).map_err(StoreError::Unopened)?;
        let left = Mutex::new(left(&path).map_err(StoreError::Unopened)?);
        Ok(Self { path, file, left })
    }

    /// Notes the file as it is now, after this program has changed it.
    pub(super) fn note(&self) {
        *self.left.lock().unwrap_or_else(PoisonError::into_inner) = left(&self.path).ok().flatten();
    }

    /// The file is about to be changed by this program: until that is [noted](Self::note) any content is its own.
    pub(super) fn changes(&self) {
        *self.left.lock().unwrap_or_else(PoisonError::into_inner) = None;
    }

    fn is_as_left(&self) -> io::Result<bool> {
        // Held while the file is looked at, so that no change of our own begins in between.
        let known = self.left.lock().unwrap_or_else(PoisonError::into_inner);
        Ok(known.is_none() || *known == left(&self.path)?)
    }

    /// The file's whole path.
    pub(super) fn path(&self) -> &Path {
        &self.path
    }

    /// The same as SQLite is told it.
    pub(super) fn name(&self) -> Result<&str> {
        self.path.to_str().ok_or_else(|| {
            StoreError::Unopened(io::Error::new(
                io::ErrorKind::InvalidInput,
                text!("file-store-place-its-name-not-readable-text"),
            ))
        })
    }

    /// The file as SQLite is told of one that only is read, and that nobody changes.
    pub(super) fn only_read_name(&self) -> Result<String> {
        Ok(written::as_it_stands(self.name()?))
    }

    /// Refuses where the file is no longer the one that was opened.
    pub(super) fn check(&self) -> Result<()> {
        let path = || self.path.display().to_string();
        match identity(&self.path) {
            Ok(file) if file == self.file => match self.is_as_left() {
                Ok(true) => Ok(()),
                // Something else was written into the same file.
                Ok(false) => Err(StoreError::Overwritten(path())),
                Err(error) => Err(StoreError::Unopened(error)),
            },
            Ok(_) => Err(StoreError::Replaced(path())),
            Err(error) if error.kind() == io::ErrorKind::NotFound => Err(StoreError::Gone(path())),
            Err(error) => Err(StoreError::Unopened(error)),
        }
    }
}

fn left(path: &Path) -> io::Result<Left> {
    let found = std::fs::metadata(path)?;
    Ok(found.modified().ok().map(|changed| (found.len(), changed)))
}

fn identity(path: &Path) -> io::Result<Identity> {
    let found = std::fs::metadata(path)?;
    #[cfg(unix)]
    {
        use std::os::unix::fs::MetadataExt as _;
        Ok(Some((found.dev(), found.ino())))
    }
    #[cfg(not(unix))]
    {
        let _ = found;
        Ok(None)
    }
}

/// The version of a file's form; 0 of a new one.
pub(super) fn version(connection: &Connection) -> Result<usize> {
    let version: i32 = connection.pragma_query_value(None, "user_version", |row| row.get(0))?;
    Ok(usize::try_from(version).unwrap_or(0))
}

/// Refuses a file that another program made, or a newer one of this; nothing is written to it.
pub(super) fn is_ours(connection: &Connection, newest: usize) -> Result<()> {
    let pragma = |name| connection.pragma_query_value(None, name, |row| row.get::<_, i32>(0));
    let no_database = |error: rusqlite::Error| match error.sqlite_error_code() {
        Some(rusqlite::ErrorCode::NotADatabase) => StoreError::Stranger,
        _ => error.into(),
    };
    let (application, version) =
        (pragma("application_id").map_err(no_database)?, pragma("user_version").map_err(no_database)?);
    let tables = "SELECT count(*), coalesce(sum(name IN ('entries', 'settings')), 0) FROM sqlite_master WHERE type = 'table'";
    let (all, ours): (i64, i64) = connection.query_row(tables, [], |row| Ok((row.get(0)?, row.get(1)?)))?;
    let unsigned = application == 0 && (all == 0 || ours == 2 && (1..=LAST_UNSIGNED).contains(&version));
    if application != APPLICATION_ID && !unsigned {
        return Err(StoreError::Stranger);
    }
    match usize::try_from(version) {
        Ok(version) if version <= newest => Ok(()),
        _ => Err(StoreError::Newer),
    }
}

/// Writes all there is into a new file, as it stands at this moment.
pub(super) fn copy(connection: &Connection, to: &Path) -> Result<()> {
    let place = Place::anew(to)?;
    let copied = place.name().and_then(|name| Ok(connection.execute("VACUUM INTO ?1", [name])?));
    if copied.is_err() {
        // Half a file is no copy, and what went wrong is said already.
        let _ = std::fs::remove_file(place.path());
    }
    copied.map(|_| ())
}

/// Puts a copy of a file where another is or was, all of it or nothing, for its owner alone to read.
pub(super) fn put(from: &Path, path: &Path) -> Result<()> {
    let mut name = path.as_os_str().to_owned();
    name.push("-new");
    let new = PathBuf::from(name);
    let _ = std::fs::remove_file(&new);
    let written = || -> io::Result<()> {
        make(&new)?;
        let mut to = OpenOptions::new().write(true).open(&new)?;
        io::copy(&mut File::open(from)?, &mut to)?;
        to.sync_all()?;
        std::fs::rename(&new, path)
    };
    written().map_err(|error| {
        let _ = std::fs::remove_file(&new);
        StoreError::Unopened(error)
    })
}

/// Where the server that has the file says that it answers.
fn served_at(path: &Path) -> Option<String> {
    let connection = Connection::open_with_flags(path, OpenFlags::SQLITE_OPEN_READ_WRITE).ok()?;
    connection.query_row("SELECT address FROM served", [], |row| row.get(0)).ok()
}

/// How long a server that is being started waits for the one before it to end, and how long between two looks.
const PATIENCE: Duration = Duration::from_secs(2);
const AGAIN: Duration = Duration::from_millis(20);

/// A file that one server has to itself, until the process ends.
#[derive(Debug)]
pub struct Held(
    /// Never closed before the process ends: closing it would take SQLite's own locks on the file along.
    #[expect(dead_code, reason = "it is held, not read")]
    std::mem::ManuallyDrop<File>,
);

impl Held {
    /// Takes the file, made if it is not there, for one server.
    ///
    /// # Errors
    /// When another server has it, or it cannot be opened.
    pub fn take(path: &Path) -> Result<Self> {
        let place = Place::of(path)?;
        let file = File::open(place.path()).map_err(StoreError::Unopened)?;
        let start = Instant::now();
        loop {
            match file.try_lock() {
                Ok(()) => {
                    if let Some(aside) = written::set_a_strange_log_aside(place.path())? {
                        tracing::warn!(
                            aside = %aside.display(),
                            "the log beside the file was left by another file, and is not carried into this one"
                        );
                    }
                    return Ok(Self(std::mem::ManuallyDrop::new(file)));
                }
                // The one before may be about to end.
                Err(TryLockError::WouldBlock) if start.elapsed() < PATIENCE => std::thread::sleep(AGAIN),
                Err(TryLockError::WouldBlock) => return Err(StoreError::Held(served_at(place.path()))),
                Err(TryLockError::Error(error)) => return Err(StoreError::Unopened(error)),
            }
        }
    }
}
