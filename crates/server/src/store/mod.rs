//! The workshop's data in one SQLite file: one writer, pooled readers, every write one transaction.

pub(crate) mod batch;
pub(crate) mod bench;
pub(crate) mod carried;
mod checkpoint;
pub(crate) mod checks;
mod error;
pub(crate) mod history;
pub(crate) mod ledger;
pub(crate) mod orders;
pub(crate) mod picks;
pub(crate) mod pieces;
mod place;
pub(crate) mod rack;
mod search;
pub(crate) mod sessions;
mod settings;
pub(crate) mod shelf;
pub(crate) mod whole;

pub(crate) use error::Result;
pub use error::StoreError;
pub use place::Held;
pub(crate) use settings::{keep_settings, settings};

use std::path::Path;
use std::sync::mpsc::Sender;
use std::sync::{Arc, LazyLock, Mutex, MutexGuard, PoisonError, RwLock};

use lorimant_core::tool::workshop::Workshop;
use r2d2_sqlite::SqliteConnectionManager;
use rusqlite::{Connection, OpenFlags, OptionalExtension, Transaction, TransactionBehavior};
use rusqlite_migration::{M, Migrations};

use crate::kept::KeptBlade;
use place::Place;
use shelf::Shelf;

/// What brings a file from each version to the next.
const VERSIONS: [&str; 11] = [
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
];
static MIGRATIONS: LazyLock<Migrations> =
    LazyLock::new(|| Migrations::new(VERSIONS.into_iter().map(M::up).collect()));

/// An open workshop file.
#[derive(Clone)]
pub struct Store {
    writer: Arc<Mutex<Connection>>,
    readers: r2d2::Pool<SqliteConnectionManager>,
    /// Where the file was opened.
    place: Arc<Place>,
    /// Told of each write, so that the log is emptied into the file once there is a pause.
    wrote: Sender<()>,
    /// What planning needs of the workshop, read anew with every write; nothing where it could not be read since.
    workshop: Arc<RwLock<Option<Arc<Workshop>>>>,
}

fn prepare(connection: &mut Connection) -> rusqlite::Result<()> {
    connection.execute_batch(
        "PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON; PRAGMA busy_timeout = 5000;",
    )?;
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
        schools: settings.schools,
        gear: settings.gear,
        tolerances: settings.tolerances,
        lots: checks::known_lots(connection)?,
    })
}

impl Store {
    /// Opens the file, makes it if it is not there, and brings its tables up to date.
    ///
    /// # Errors
    /// When the file cannot be opened or is no workshop file of this program or an older one.
    pub fn open(path: &Path) -> Result<Self> {
        let place = Place::of(path)?;
        let mut writer = Connection::open(place.path())?;
        place::is_ours(&writer, VERSIONS.len())?;
        prepare(&mut writer)?;
        MIGRATIONS.to_latest(&mut writer)?;
        // What an earlier server that was killed left in the log.
        checkpoint::now(&writer)?;
        let manager = SqliteConnectionManager::file(place.path()).with_init(prepare);
        let readers = r2d2::Pool::builder().max_size(4).min_idle(Some(0)).build(manager)?;
        let writer = Arc::new(Mutex::new(writer));
        let wrote = checkpoint::whenever_quiet(Arc::downgrade(&writer)).map_err(StoreError::Unopened)?;
        let store = Self { writer, readers, place: Arc::new(place), wrote, workshop: Arc::default() };
        let workshop = read_workshop(&store.writer())?;
        store.know(Some(workshop));
        Ok(store)
    }

    fn writer(&self) -> MutexGuard<'_, Connection> {
        // A panic while writing rolled its transaction back, so the connection is sound.
        self.writer.lock().unwrap_or_else(PoisonError::into_inner)
    }

    /// Reads with one of the pooled readers.
    pub(crate) fn read<T>(&self, work: impl FnOnce(&Connection) -> Result<T>) -> Result<T> {
        work(&*self.readers.get()?)
    }

    /// Does what a write would do and leaves nothing of it: what is wrong is wrong of the write as well.
    pub(crate) fn try_out<T>(&self, work: impl FnOnce(&Transaction) -> Result<T>) -> Result<T> {
        let mut writer = self.writer();
        // Rolled back where it ends.
        let transaction = writer.transaction_with_behavior(TransactionBehavior::Immediate)?;
        work(&transaction)
    }

    /// Writes in one transaction; nothing of it stands unless all of it does.
    pub(crate) fn write<T>(&self, work: impl FnOnce(&Transaction) -> Result<T>) -> Result<T> {
        // The workshop is read anew before the next writer may begin, so that no older one is ever known after it.
        let mut writer = self.writer();
        self.place.check()?;
        let transaction = writer.transaction_with_behavior(TransactionBehavior::Immediate)?;
        let done = work(&transaction)?;
        transaction.commit()?;
        // Nobody listens only where the workshop is being closed, which empties the log as well.
        let _ = self.wrote.send(());
        // It stands written now, whatever comes of reading: that must never be said to have failed.
        let workshop = read_workshop(&writer);
        if let Err(error) = &workshop {
            tracing::error!(%error, "the workshop could not be read anew");
        }
        self.know(workshop.ok());
        Ok(done)
    }

    fn know(&self, workshop: Option<Workshop>) {
        *self.workshop.write().unwrap_or_else(PoisonError::into_inner) = workshop.map(Arc::new);
    }

    /// What planning needs of the workshop. A workshop that cannot be read plans as an empty one.
    pub(crate) fn workshop(&self) -> Arc<Workshop> {
        if let Some(known) = &*self.workshop.read().unwrap_or_else(PoisonError::into_inner) {
            return known.clone();
        }
        let writer = self.writer();
        let workshop = read_workshop(&writer).unwrap_or_else(|error| {
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
        checkpoint::now(&self.writer())?;
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
        let sql = "INSERT INTO passphrase (id, hash) VALUES (1, ?1) ON CONFLICT (id) DO UPDATE SET hash = ?1";
        self.write(|t| {
            t.execute(sql, [hash])?;
            // Whoever knew the old one is to type the new one.
            t.execute("DELETE FROM sessions", [])?;
            Ok(())
        })
    }
}
