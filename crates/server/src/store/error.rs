//! What can go wrong with the file.

use lorimant_core::fault::Faults;

/// What can go wrong with the file.
#[derive(Debug, thiserror::Error)]
pub enum StoreError {
    /// SQLite refused.
    #[error("the workshop's file could not be read or written: {0}")]
    Sqlite(#[from] rusqlite::Error),
    /// The file is of a newer program, or no workshop file.
    #[error("the workshop's file could not be brought up to date: {0}")]
    Migration(#[from] rusqlite_migration::Error),
    /// The file itself could not be opened or made.
    #[error("the workshop's file could not be opened: {0}")]
    Unopened(std::io::Error),
    /// The file belongs to another program.
    #[error("this is no workshop's file: another program made it, and it is left as it is")]
    Stranger,
    /// The file belongs to a newer program.
    #[error("a newer Lorimant wrote this file. Open it with that one; it is left as it is")]
    Newer,
    /// Another server has the file.
    #[error("another Lorimant is serving this file already{}. Use that one, or stop it first", at(.0.as_deref()))]
    Held(
        /// Where it answers, if it has said so.
        Option<String>,
    ),
    /// The file was moved or removed underneath.
    #[error(
        "nothing was changed: the workshop's file is no longer at {0}. Put it back there, or stop the program and \
         start it with the place where the file is now"
    )]
    Gone(String),
    /// Another file stands in its place.
    #[error(
        "nothing was changed: another file was put in the place of the workshop's, {0}. Put the first one back, or \
         stop the program and start it again to go on with the other"
    )]
    Replaced(String),
    /// Other content was written into the file.
    #[error(
        "nothing was changed: something else wrote over the workshop's file, {0}. Stop the program. Then start it again to \
         go on with what is there now, or restore a copy first: there are dated ones in {0}.copies"
    )]
    Overwritten(String),
    /// The file's pages are not as SQLite left them.
    #[error("the workshop's file is damaged: {0}")]
    Damaged(String),
    /// The file may only be read for now.
    #[error("nothing was changed: {0}")]
    ReadOnly(String),
    /// A copy that cannot be restored.
    #[error("this copy is not restored: {0}. What was there is left as it is")]
    Unsound(String),
    /// There is a file where a new one was to be made.
    #[error("there is a file called {0} already; choose another name")]
    Occupied(String),
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
    /// Something newer stands on the change, or it was undone already: what, by whom, and what can be done.
    #[error("{0}")]
    NotUndoable(String),
    /// What was asked cannot be, given what stands in the file.
    #[error("{0}")]
    Refused(#[from] Faults),
}

fn at(address: Option<&str>) -> String {
    address.map(|address| format!(", at {address}")).unwrap_or_default()
}

impl StoreError {
    /// What was taken back is not taken back again.
    pub(crate) fn taken_back() -> Self {
        Self::NotUndoable("not undone: it was undone already".to_owned())
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
