//! What can go wrong with the file.

use lorimant_core::fault::Faults;
use lorimant_text::text;

/// What can go wrong with the file.
#[derive(Debug, thiserror::Error)]
pub enum StoreError {
    /// SQLite refused.
    #[error("{}", text!("file-error-sqlite", of = .0))]
    Sqlite(#[from] rusqlite::Error),
    /// The file is of a newer program, or no workshop file.
    #[error("{}", text!("file-error-migration", of = .0))]
    Migration(#[from] rusqlite_migration::Error),
    /// The file itself could not be opened or made.
    #[error("{}", text!("file-error-unopened", of = .0))]
    Unopened(std::io::Error),
    /// The file belongs to another program.
    #[error("{}", text!("file-error-stranger"))]
    Stranger,
    /// The file belongs to a newer program.
    #[error("{}", text!("file-error-newer"))]
    Newer,
    /// Another server has the file.
    #[error("{}", text!("file-error-held", at = at(.0.as_deref())))]
    Held(
        /// Where it answers, if it has said so.
        Option<String>,
    ),
    /// The file was moved or removed underneath.
    #[error("{}", text!("file-error-gone", of = .0))]
    Gone(String),
    /// Another file stands in its place.
    #[error("{}", text!("file-error-replaced", of = .0))]
    Replaced(String),
    /// Other content was written into the file.
    #[error("{}", text!("file-error-overwritten", of = .0))]
    Overwritten(String),
    /// The file's pages are not as SQLite left them.
    #[error("{}", text!("file-error-damaged", of = .0))]
    Damaged(String),
    /// The file may only be read for now.
    #[error("{}", text!("file-error-read-only", of = .0))]
    ReadOnly(String),
    /// A copy that cannot be restored.
    #[error("{}", text!("file-error-unsound", of = .0))]
    Unsound(String),
    /// There is a file where a new one was to be made.
    #[error("{}", text!("file-error-occupied", of = .0))]
    Occupied(String),
    /// No reader could be had.
    #[error("{}", text!("file-error-pool", of = .0))]
    Pool(#[from] r2d2::Error),
    /// A record in the file cannot be understood.
    #[error("{}", text!("file-error-record", of = .0))]
    Record(#[from] serde_json::Error),
    /// There is no such entry.
    #[error("{}", text!("file-error-missing", what = .what, id = .id))]
    Missing {
        /// What was looked for.
        what: &'static str,
        /// The number it was looked for by.
        id: i64,
    },
    /// Somebody else changed the entry first.
    #[error("{}", text!("file-error-conflict"))]
    Conflict {
        /// What stands there now.
        current: serde_json::Value,
    },
    /// Something newer stands on the change, or it was undone already: what, by whom, and what can be done.
    #[error("{0}")]
    NotUndoable(String),
    /// What was asked cannot be, given what stands in the file.
    #[error("{0}")]
    Refused(#[from] Faults),
}

fn at(address: Option<&str>) -> String {
    address.map(|address| text!("file-store-error-at", address)).unwrap_or_default()
}

impl StoreError {
    /// What was taken back is not taken back again.
    pub(crate) fn taken_back() -> Self {
        Self::NotUndoable(text!("file-store-error-not-undone-was-undone-already").to_owned())
    }

    /// The same seen from a larger record: what was refused is said at its place there.
    pub(crate) fn within(self, place: &str) -> Self {
        match self {
            Self::Refused(faults) => Self::Refused(faults.within(place)),
            other => other,
        }
    }
}

/// What reading or writing the file gives.
pub(crate) type Result<T> = std::result::Result<T, StoreError>;
