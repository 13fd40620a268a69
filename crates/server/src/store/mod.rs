//! The workshop's data in one SQLite file: one writer, pooled readers, every write one transaction.

pub(crate) mod kept;
pub(crate) mod ledger;
pub(crate) mod rack;
pub(crate) mod shelf;

use std::path::Path;
use std::sync::{Arc, LazyLock, Mutex, MutexGuard, PoisonError, RwLock};

use lorimant_core::fault::Faults;
use lorimant_core::workshop::Workshop;
use r2d2_sqlite::SqliteConnectionManager;
use rusqlite::{Connection, OptionalExtension, Transaction, TransactionBehavior};
use rusqlite_migration::{M, Migrations};

use kept::{KeptBlade, Settings};
use shelf::Shelf;

static MIGRATIONS: LazyLock<Migrations> = LazyLock::new(|| {
    Migrations::new(vec![
        M::up(include_str!("schema.sql")),
        M::up(REVISIONS),
        M::up(include_str!("ledger.sql")),
    ])
});

/// Version 2: the changes of one entry are its earlier revisions, which are looked for by entry.
const REVISIONS: &str = "CREATE INDEX changes_by_entry ON changes (entry, revision);";

/// What can go wrong with the file.
#[derive(Debug, thiserror::Error)]
pub enum StoreError {
    /// SQLite refused.
    #[error("the workshop's file could not be read or written: {0}")]
    Sqlite(#[from] rusqlite::Error),
    /// The file is of a newer program, or no workshop file.
    #[error("the workshop's file could not be brought up to date: {0}")]
    Migration(#[from] rusqlite_migration::Error),
    /// No reader could be had.
    #[error("no reader of the workshop's file is free: {0}")]
    Pool(#[from] r2d2::Error),
    /// A record in the file cannot be understood.
    #[error("a record in the workshop's file cannot be understood: {0}")]
    Record(#[from] serde_json::Error),
    /// There is no such entry.
    #[error("there is no {what} number {id}")]
    Missing {
        /// What was looked for.
        what: &'static str,
        /// The number it was looked for by.
        id: i64,
    },
    /// Somebody else changed the entry first.
    #[error("it was changed elsewhere since you opened it")]
    Conflict {
        /// What stands there now.
        current: serde_json::Value,
    },
    /// The change was made already undone, or something newer stands on it.
    #[error("this can no longer be undone: it has been changed since")]
    NotUndoable,
    /// What was asked cannot be, given what stands in the file.
    #[error("{0}")]
    Refused(#[from] Faults),
}

type Result<T> = std::result::Result<T, StoreError>;

/// An open workshop file.
#[derive(Clone)]
pub struct Store {
    writer: Arc<Mutex<Connection>>,
    readers: r2d2::Pool<SqliteConnectionManager>,
    /// What planning needs of the workshop, read anew after every write.
    workshop: Arc<RwLock<Arc<Workshop>>>,
}

fn prepare(connection: &mut Connection) -> rusqlite::Result<()> {
    connection.execute_batch(
        "PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON; PRAGMA busy_timeout = 5000;",
    )
}

impl Store {
    /// Opens the file, makes it if it is not there, and brings its tables up to date.
    ///
    /// # Errors
    /// When the file cannot be opened or is no workshop file of this program or an older one.
    pub fn open(path: &Path) -> Result<Self> {
        let mut writer = Connection::open(path)?;
        prepare(&mut writer)?;
        MIGRATIONS.to_latest(&mut writer)?;
        let manager = SqliteConnectionManager::file(path).with_init(prepare);
        let readers = r2d2::Pool::builder().max_size(4).min_idle(Some(0)).build(manager)?;
        let store = Self {
            writer: Arc::new(Mutex::new(writer)),
            readers,
            workshop: Arc::new(RwLock::new(Arc::new(Workshop::default()))),
        };
        store.refresh_workshop()?;
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

    /// Writes in one transaction; nothing of it stands unless all of it does.
    pub(crate) fn write<T>(&self, work: impl FnOnce(&Transaction) -> Result<T>) -> Result<T> {
        let done = {
            let mut writer = self.writer();
            let transaction = writer.transaction_with_behavior(TransactionBehavior::Immediate)?;
            let done = work(&transaction)?;
            transaction.commit()?;
            done
        };
        self.refresh_workshop()?;
        Ok(done)
    }

    fn refresh_workshop(&self) -> Result<()> {
        let fresh = self.read(|connection| {
            let settings = settings(connection)?.0;
            let rods = Shelf::Rods.all(connection)?.into_iter().map(|entry| entry.record).collect();
            let blades: Vec<shelf::Entry<KeptBlade>> = Shelf::Blades.all(connection)?;
            let blades = blades.into_iter().map(|entry| entry.record.blade).collect();
            let pliers = Shelf::Pliers.all(connection)?.into_iter().map(|entry| entry.record).collect();
            Ok(Workshop { rods, pliers, blades, habits: settings.habits() })
        })?;
        *self.workshop.write().unwrap_or_else(PoisonError::into_inner) = Arc::new(fresh);
        Ok(())
    }

    /// What planning needs of the workshop.
    pub(crate) fn workshop(&self) -> Arc<Workshop> {
        self.workshop.read().unwrap_or_else(PoisonError::into_inner).clone()
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
        self.write(|t| Ok(t.execute(sql, [hash]).map(|_| ())?))
    }
}

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
