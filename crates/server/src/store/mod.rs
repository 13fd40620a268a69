//! The workshop's data in one SQLite file: one writer, pooled readers, every write one transaction.

pub(crate) mod batch;
pub(crate) mod bench;
pub(crate) mod carried;
mod checkpoint;
pub(crate) mod checks;
pub mod copies;
mod earlier;
mod error;
pub(crate) mod history;
pub(crate) mod ladders;
pub(crate) mod ledger;
pub(crate) mod orders;
pub(crate) mod picks;
pub(crate) mod pieces;
mod place;
pub(crate) mod rack;
mod restore;
mod search;
pub(crate) mod sessions;
mod settings;
pub(crate) mod shelf;
mod sound;
mod undo;
pub(crate) mod whole;
mod written;

pub(crate) use error::Result;
pub use error::StoreError;
pub use place::Held;
pub(crate) use settings::{keep_settings, settings};
pub use sound::Soundness;

use std::path::{Path, PathBuf};
use std::sync::atomic::{AtomicU64, Ordering};
use std::sync::mpsc::Sender;
use std::sync::{Arc, LazyLock, Mutex, MutexGuard, PoisonError, RwLock};
use std::time::{Duration, Instant};

use lorimant_core::tool::workshop::Workshop;
use r2d2_sqlite::SqliteConnectionManager;
use rusqlite::config::DbConfig;
use rusqlite::{Connection, OpenFlags, OptionalExtension, Transaction, TransactionBehavior};
use rusqlite_migration::{M, Migrations};

use crate::kept::KeptBlade;
use lorimant_text::{Text, text};
use place::Place;
use shelf::Shelf;

/// What brings a file from each version to the next.
const VERSIONS: [&str; 15] = [
    include_str!("../../migrations/01-workshop.sql"),
    include_str!("../../migrations/02-revisions.sql"),
    include_str!("../../migrations/03-ledger.sql"),
    include_str!("../../migrations/04-batches.sql"),
    include_str!("../../migrations/05-sessions.sql"),
    include_str!("../../migrations/06-served.sql"),
    include_str!("../../migrations/07-settled.sql"),
    include_str!("../../migrations/08-bench.sql"),
    include_str!("../../migrations/09-orders.sql"),
    include_str!("../../migrations/10-chains.sql"),
    include_str!("../../migrations/11-readings.sql"),
    include_str!("../../migrations/12-written.sql"),
    include_str!("../../migrations/13-devices.sql"),
    include_str!("../../migrations/14-poses.sql"),
    include_str!("../../migrations/15-all-sizes.sql"),
];
static MIGRATIONS: LazyLock<Migrations> =
    LazyLock::new(|| Migrations::new(VERSIONS.into_iter().map(M::up).collect()));

/// A workshop's data.
#[derive(Clone)]
pub struct Store {
    /// The file as it is open; opened anew where a restore puts another in its place.
    file: Arc<RwLock<Arc<OpenFile>>>,
    /// Held while that is done, so that two at once do it one after the other.
    restoring: Arc<Mutex<()>>,
    /// Writes since the program was started.
    writes_n: Arc<AtomicU64>,
    /// What planning needs of the workshop, read anew with every write; nothing where it could not be read since.
    workshop: Arc<RwLock<Option<Arc<Workshop>>>>,
}

/// An open workshop file.
struct OpenFile {
    writer: Arc<Mutex<Connection>>,
    readers: r2d2::Pool<SqliteConnectionManager>,
    /// Where the file was opened.
    place: Arc<Place>,
    /// Told of each write, so that the log is emptied into the file once there is a pause.
    wrote: Sender<()>,
    /// Why nothing is written for now: the disk is full, or the file is damaged.
    only_read: Option<String>,
    /// A reader for [`Store::health`] alone, so that no other reading holds it up.
    pulse: Mutex<Option<Connection>>,
}

fn prepare(connection: &mut Connection) -> rusqlite::Result<()> {
    // The log is carried into the file by [`checkpoint`] alone, which looks first whether that is still the same file.
    connection.set_db_config(DbConfig::SQLITE_DBCONFIG_NO_CKPT_ON_CLOSE, true)?;
    connection.execute_batch(
        "PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON; PRAGMA busy_timeout = 5000; \
         PRAGMA wal_autocheckpoint = 0;",
    )?;
    search::teach(connection)?;
    earlier::teach(connection)
}

/// Opens a file that can only be read: no log, no index beside it.
fn prepare_reading(connection: &mut Connection) -> rusqlite::Result<()> {
    connection.execute_batch("PRAGMA query_only = ON;")?;
    search::teach(connection)
}

/// What planning needs of the workshop, as it stands in the file.
pub(crate) fn read_workshop(connection: &Connection) -> Result<Workshop> {
    let settings = settings(connection)?.0;
    let rods = Shelf::Rods.all(connection)?.into_iter().map(|entry| entry.record).collect();
    let blades: Vec<shelf::Entry<KeptBlade>> = Shelf::Blades.all(connection)?;
    let blades = blades.into_iter().map(|entry| entry.record.blade).collect();
    let pliers = Shelf::Pliers.all(connection)?.into_iter().map(|entry| entry.record).collect();
    Ok(Workshop {
        rods,
        pliers,
        blades,
        habits: settings.habits(),
        hand: settings.hand,
        methods: settings.methods,
        gear: settings.gear,
        tolerances: settings.tolerances,
        lots: checks::known_lots(connection)?,
    })
}

/// How long a stop waits for readers before what was written last stays in the log, and how long between two tries.
const SETTLE: Duration = Duration::from_millis(1500);
const AGAIN: Duration = Duration::from_millis(20);

/// How a file that can only be read is opened.
const ONLY_READ: OpenFlags =
    OpenFlags::SQLITE_OPEN_READ_ONLY.union(OpenFlags::SQLITE_OPEN_URI).union(OpenFlags::SQLITE_OPEN_NO_MUTEX);

fn open_to_write(place: &Place) -> Result<Connection> {
    let mut writer = Connection::open(place.path())?;
    place::is_ours(&writer, VERSIONS.len())?;
    let version = place::version(&writer)?;
    let problems = sound::quick(&writer)?;
    if let Some(problem) = problems.first() {
        return Err(StoreError::Damaged(problem.clone()));
    }
    prepare(&mut writer)?;
    if (1..VERSIONS.len()).contains(&version) {
        copies::make(&writer, place.path(), copies::Why::Update)?;
    }
    MIGRATIONS.to_latest(&mut writer)?;
    // What an earlier server that was killed left in the log.
    checkpoint::now(&writer)?;
    Ok(writer)
}

fn open_to_read(place: &Place) -> Result<Connection> {
    let mut connection = Connection::open_with_flags(place.only_read_name()?, ONLY_READ)?;
    prepare_reading(&mut connection)?;
    Ok(connection)
}

const DAMAGED: Text = Text::named("file-store-workshops-file-damaged-what-can");

/// Why a file that cannot be opened to be written may still be read; none where it may not.
fn only_read_because(error: &StoreError) -> Option<String> {
    let code = match error {
        StoreError::Damaged(_) => return Some(DAMAGED.to_string()),
        StoreError::Sqlite(broken) => broken.sqlite_error_code()?,
        StoreError::Migration(rusqlite_migration::Error::RusqliteError { err, .. }) => {
            err.sqlite_error_code()?
        }
        _ => return None,
    };
    match code {
        rusqlite::ErrorCode::DiskFull | rusqlite::ErrorCode::SystemIoFailure => {
            Some(text!("file-store-disk-with-workshops-file-full").to_owned())
        }
        rusqlite::ErrorCode::ReadOnly | rusqlite::ErrorCode::PermissionDenied => {
            Some(text!("file-store-workshops-file-read-only-let").to_owned())
        }
        rusqlite::ErrorCode::DatabaseCorrupt => Some(DAMAGED.to_string()),
        _ => None,
    }
}

/// What planning needs of the workshop in a file that was just opened. Of a damaged file what can be read is read.
fn known_workshop(file: &OpenFile) -> Result<Option<Arc<Workshop>>> {
    match (read_workshop(&file.writer()), &file.only_read) {
        (Ok(workshop), _) => Ok(Some(Arc::new(workshop))),
        (Err(error), Some(_)) => {
            tracing::error!(%error, "the workshop cannot be read");
            Ok(None)
        }
        (Err(error), None) => Err(error),
    }
}

impl OpenFile {
    fn open(path: &Path) -> Result<Self> {
        let place = Arc::new(Place::of(path)?);
        let (writer, only_read) = match open_to_write(&place) {
            Ok(writer) => (writer, None),
            Err(error) => match only_read_because(&error) {
                // What is there can be read, and says why nothing is written.
                Some(why) => (open_to_read(&place)?, Some(written::with_the_log(why, place.path()))),
                None => return Err(error),
            },
        };
        let manager = match only_read {
            None => SqliteConnectionManager::file(place.path()).with_init(prepare),
            Some(_) => SqliteConnectionManager::file(place.only_read_name()?)
                .with_flags(ONLY_READ)
                .with_init(prepare_reading),
        };
        let readers = r2d2::Pool::builder().max_size(4).min_idle(Some(0)).build(manager)?;
        place.note();
        let writer = Arc::new(Mutex::new(writer));
        let wrote = checkpoint::whenever_quiet(Arc::downgrade(&writer), Arc::clone(&place))
            .map_err(StoreError::Unopened)?;
        let pulse = match only_read {
            None => {
                let mut pulse = Connection::open(place.path())?;
                prepare(&mut pulse)?;
                Some(pulse)
            }
            Some(_) => None,
        };
        Ok(Self { writer, readers, place, wrote, only_read, pulse: Mutex::new(pulse) })
    }

    fn writer(&self) -> MutexGuard<'_, Connection> {
        // A panic while writing rolled its transaction back, so the connection is sound.
        self.writer.lock().unwrap_or_else(PoisonError::into_inner)
    }

    fn may_write(&self) -> Result<()> {
        match &self.only_read {
            Some(why) => Err(StoreError::ReadOnly(why.clone())),
            None => self.place.check(),
        }
    }

    /// Whether somebody else put another file, or other content, in the place of the one that was opened.
    fn was_changed_by_others(&self) -> bool {
        matches!(self.place.check(), Err(StoreError::Replaced(_) | StoreError::Overwritten(_)))
    }
}

impl Store {
    /// Opens the file, makes it if it is not there, and brings its tables up to date.
    ///
    /// # Errors
    /// When the file cannot be opened or is no workshop file of this program or an older one.
    pub fn open(path: &Path) -> Result<Self> {
        let file = OpenFile::open(path)?;
        let workshop = known_workshop(&file)?;
        Ok(Self {
            file: Arc::new(RwLock::new(Arc::new(file))),
            restoring: Arc::default(),
            writes_n: Arc::default(),
            workshop: Arc::new(RwLock::new(workshop)),
        })
    }

    fn file(&self) -> Arc<OpenFile> {
        Arc::clone(&self.file.read().unwrap_or_else(PoisonError::into_inner))
    }

    /// Goes on with the file that is now where the other one was.
    fn open_anew(&self, path: &Path) -> Result<()> {
        let file = OpenFile::open(path)?;
        let workshop = known_workshop(&file)?;
        *self.file.write().unwrap_or_else(PoisonError::into_inner) = Arc::new(file);
        self.writes_n.fetch_add(1, Ordering::AcqRel);
        *self.workshop.write().unwrap_or_else(PoisonError::into_inner) = workshop;
        Ok(())
    }

    /// Why nothing is written for now, in a sentence; none where the file can be written.
    #[must_use]
    pub fn only_read(&self) -> Option<String> {
        self.file().only_read.clone()
    }

    /// The names of logs that were found beside the file, were not its own, and were put aside.
    #[must_use]
    pub fn logs_set_aside(&self) -> Vec<String> {
        written::logs_set_aside(self.file().place.path())
    }

    /// Whether the file is there, is the one that was opened, can be read, and may be written.
    ///
    /// # Errors
    /// What is wrong with it.
    pub fn health(&self) -> Result<()> {
        let file = self.file();
        file.may_write()?;
        let pulse = file.pulse.lock().unwrap_or_else(PoisonError::into_inner);
        let marked = pulse.as_ref().map(|c| c.query_row("SELECT mark FROM written", [], |_| Ok(())));
        Ok(marked.transpose().map(drop)?)
    }

    /// Whether somebody else put another file, or other content, in the place of the one that was opened.
    pub(crate) fn was_changed_by_others(&self) -> bool {
        self.file().was_changed_by_others()
    }

    /// How often it was written to since it was opened.
    pub(crate) fn writes_n(&self) -> u64 {
        self.writes_n.load(Ordering::Acquire)
    }

    /// Makes the day's copy where it is due; gives where it is.
    ///
    /// # Errors
    /// When it cannot be written.
    pub fn copy_of_the_day(&self) -> Result<Option<PathBuf>> {
        let file = self.file();
        if file.may_write().is_err() || !copies::is_due(file.place.path()) {
            return Ok(None);
        }
        copies::make(&*file.readers.get()?, file.place.path(), copies::Why::Daily).map(Some)
    }

    /// The dated copies there are, the newest first.
    #[must_use]
    pub fn copies(&self) -> Vec<copies::Copied> {
        copies::all(self.file().place.path())
    }

    /// Looks whether a file is sound; nothing in it is changed.
    ///
    /// # Errors
    /// When it cannot be read, or is no workshop's.
    pub fn check_file(path: &Path) -> Result<Soundness> {
        if !path.exists() {
            return Err(StoreError::Gone(path.display().to_string()));
        }
        let connection = Connection::open_with_flags(path, OpenFlags::SQLITE_OPEN_READ_ONLY)?;
        search::teach(&connection)?;
        place::is_ours(&connection, VERSIONS.len())?;
        sound::whole(&connection)
    }

    /// Reads with one of the pooled readers.
    pub(crate) fn read<T>(&self, work: impl FnOnce(&Connection) -> Result<T>) -> Result<T> {
        work(&*self.file().readers.get()?)
    }

    /// Does what a write would do and leaves nothing of it: what is wrong is wrong of the write as well.
    pub(crate) fn try_out<T>(&self, work: impl FnOnce(&Transaction) -> Result<T>) -> Result<T> {
        let file = self.file();
        let mut writer = file.writer();
        // Rolled back where it ends.
        let transaction = writer.transaction_with_behavior(TransactionBehavior::Immediate)?;
        work(&transaction)
    }

    /// Writes in one transaction; nothing of it stands unless all of it does.
    pub(crate) fn write<T>(&self, work: impl FnOnce(&Transaction) -> Result<T>) -> Result<T> {
        // The workshop is read anew before the next writer may begin, so that no older one is ever known after it.
        let file = self.file();
        let mut writer = file.writer();
        file.may_write()?;
        let transaction = writer.transaction_with_behavior(TransactionBehavior::Immediate)?;
        let done = work(&transaction)?;
        written::count(&transaction)?;
        transaction.commit()?;
        self.written(&file, &writer);
        Ok(done)
    }

    /// What follows every write.
    fn written(&self, file: &OpenFile, writer: &Connection) {
        // Nobody listens only where the workshop is being closed, which empties the log as well.
        let _ = file.wrote.send(());
        self.writes_n.fetch_add(1, Ordering::AcqRel);
        // It stands written now, whatever comes of reading: that must never be said to have failed.
        let workshop = read_workshop(writer);
        if let Err(error) = &workshop {
            tracing::error!(%error, "the workshop could not be read again");
        }
        *self.workshop.write().unwrap_or_else(PoisonError::into_inner) = workshop.ok().map(Arc::new);
    }

    /// What planning needs of the workshop. A workshop that cannot be read plans as an empty one.
    pub(crate) fn workshop(&self) -> Arc<Workshop> {
        if let Some(known) = &*self.workshop.read().unwrap_or_else(PoisonError::into_inner) {
            return known.clone();
        }
        let workshop = read_workshop(&self.file().writer()).unwrap_or_else(|error| {
            tracing::error!(%error, "the workshop cannot be read");
            Workshop::default()
        });
        Arc::new(workshop)
    }

    /// Notes in the file where this server answers, for one that is started beside it.
    ///
    /// # Errors
    /// When the file cannot be written.
    pub fn served_at(&self, address: &str) -> Result<()> {
        let sql =
            "INSERT INTO served (id, address) VALUES (1, ?1) ON CONFLICT (id) DO UPDATE SET address = ?1";
        self.write(|t| Ok(t.execute(sql, [address]).map(|_| ())?))
    }

    /// Empties the log into the file, so that the one file is all there is; before the program ends.
    ///
    /// # Errors
    /// When the file cannot be written.
    pub fn settle(&self) -> Result<()> {
        let file = self.file();
        if file.only_read.is_some() {
            return Ok(());
        }
        let writer = file.writer();
        let begun = Instant::now();
        // A reader in the middle of something is waited for: the day's copy, a file that is being sent.
        while !checkpoint::carry_over(&writer, &file.place)? && begun.elapsed() < SETTLE {
            std::thread::sleep(AGAIN);
        }
        // All of it is in the file: nothing need lie beside it.
        writer.set_db_config(DbConfig::SQLITE_DBCONFIG_NO_CKPT_ON_CLOSE, false)?;
        Ok(())
    }

    /// Writes all of the workshop, as it stands at this moment, into a new file; others go on reading and writing.
    ///
    /// # Errors
    /// When there is a file already, or it cannot be written; nothing is left of it then.
    pub fn back_up(&self, to: &Path) -> Result<()> {
        self.read(|connection| place::copy(connection, to))
    }

    /// The same of a file that is not open here; another program may have it open, and nothing in it is changed.
    ///
    /// # Errors
    /// As [`Store::back_up`]; when the file is no workshop's.
    pub fn back_up_file(path: &Path, to: &Path) -> Result<()> {
        let connection = Connection::open_with_flags(path, OpenFlags::SQLITE_OPEN_READ_WRITE)?;
        place::is_ours(&connection, VERSIONS.len())?;
        place::copy(&connection, to)
    }

    /// The hash of the passphrase, where one is set.
    ///
    /// # Errors
    /// When the file cannot be read.
    pub fn passphrase_hash(&self) -> Result<Option<String>> {
        self.read(|c| Ok(c.query_row("SELECT hash FROM passphrase", [], |row| row.get(0)).optional()?))
    }

    /// Sets the hash of the passphrase.
    ///
    /// # Errors
    /// When the file cannot be written.
    pub fn set_passphrase_hash(&self, hash: &str) -> Result<()> {
        self.write(|t| set_passphrase(t, hash))
    }

    /// Sets the hash of the passphrase of a file that a server may have open: it is told by the file itself, and the file is
    /// left to that server otherwise.
    ///
    /// # Errors
    /// When the file is no workshop's, or cannot be written.
    pub fn set_passphrase_of(path: &Path, hash: &str) -> Result<()> {
        match Held::take(path) {
            Ok(_held) => Self::open(path)?.set_passphrase_hash(hash),
            Err(StoreError::Held(_)) => {
                let mut connection = Connection::open_with_flags(path, OpenFlags::SQLITE_OPEN_READ_WRITE)?;
                place::is_ours(&connection, VERSIONS.len())?;
                prepare(&mut connection)?;
                let transaction = connection.transaction_with_behavior(TransactionBehavior::Immediate)?;
                set_passphrase(&transaction, hash)?;
                written::count(&transaction)?;
                Ok(transaction.commit()?)
            }
            Err(error) => Err(error),
        }
    }
}

fn set_passphrase(transaction: &Transaction, hash: &str) -> Result<()> {
    let sql = "INSERT INTO passphrase (id, hash) VALUES (1, ?1) ON CONFLICT (id) DO UPDATE SET hash = ?1";
    transaction.execute(sql, [hash])?;
    // Whoever knew the old one is to type the new one.
    transaction.execute("DELETE FROM sessions", [])?;
    Ok(())
}
