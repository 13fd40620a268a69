//! Dated copies beside the file, made without being asked: each day, before its form is brought up to date, and before another
//! copy is put in its place.

use std::path::{Path, PathBuf};
use std::time::{Duration, SystemTime};

use rusqlite::Connection;

use super::error::{Result, StoreError};
use super::place;

/// Why a copy was made.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Why {
    /// Once a day.
    Daily,
    /// Before the file's form is brought up to date.
    Update,
    /// Before another copy takes its place.
    Restore,
}

impl Why {
    const ALL: [Self; 3] = [Self::Daily, Self::Update, Self::Restore];

    /// Its word in the name of the copy.
    #[must_use]
    pub fn word(self) -> &'static str {
        match self {
            Self::Daily => "daily",
            Self::Update => "before-update",
            Self::Restore => "before-restore",
        }
    }

    /// How many copies of a kind are kept.
    fn kept(self) -> usize {
        match self {
            Self::Daily => 14,
            Self::Update => 5,
            Self::Restore => 10,
        }
    }
}

/// A copy that was made.
#[derive(Debug, Clone)]
pub struct Copied {
    /// Its file.
    pub path: PathBuf,
    /// When it was made.
    pub made_at: SystemTime,
    /// Why the copy was made.
    pub why: Why,
    /// How large it is, bytes.
    pub bytes: u64,
}

/// What the name of a copy ends with.
const ENDS: &str = ".lorimant";
/// A day's copy is made where the last is older than this.
const A_DAY: Duration = Duration::from_secs(20 * 3600);

/// The folder with the copies of a file.
#[must_use]
pub fn folder(file: &Path) -> PathBuf {
    let mut name = file.as_os_str().to_owned();
    name.push(".copies");
    PathBuf::from(name)
}

/// Every copy of a file, the newest first.
#[must_use]
pub fn all(file: &Path) -> Vec<Copied> {
    let entries = std::fs::read_dir(folder(file)).into_iter().flatten().flatten();
    let mut copies: Vec<Copied> = entries
        .filter_map(|entry| {
            let name = entry.file_name().into_string().ok()?;
            let word = name.strip_suffix(ENDS)?.split_once(' ')?.1.to_owned();
            let about = entry.metadata().ok()?;
            let made_at = about.modified().ok()?;
            Some(Copied {
                path: entry.path(),
                made_at,
                why: Why::ALL.into_iter().find(|why| why.word() == word)?,
                bytes: about.len(),
            })
        })
        .collect();
    copies.sort_by(|a, b| b.path.cmp(&a.path));
    copies
}

/// Makes a copy now, and takes the oldest of its kind away where there are too many.
///
/// # Errors
/// When it cannot be written; nothing is left of it then.
pub(super) fn make(connection: &Connection, file: &Path, why: Why) -> Result<PathBuf> {
    let path = next(file, why)?;
    place::copy(connection, &path)?;
    thin_out(file, why);
    Ok(path)
}

/// Keeps a file that cannot be copied by SQLite, byte by byte.
///
/// # Errors
/// When it cannot be written.
pub(super) fn keep_as_it_is(file: &Path, why: Why) -> Result<PathBuf> {
    let path = next(file, why)?;
    std::fs::copy(file, &path).map_err(StoreError::Unopened)?;
    thin_out(file, why);
    Ok(path)
}

fn next(file: &Path, why: Why) -> Result<PathBuf> {
    let folder = folder(file);
    std::fs::create_dir_all(&folder).map_err(StoreError::Unopened)?;
    let moment = jiff::Timestamp::now().strftime("%Y-%m-%dT%H-%M-%S%.3f");
    Ok(folder.join(format!("{moment} {}{ENDS}", why.word())))
}

/// Takes the oldest of a kind away where there are too many.
fn thin_out(file: &Path, why: Why) {
    let of_its_kind = all(file).into_iter().filter(|copy| copy.why == why);
    for old in of_its_kind.skip(why.kept()) {
        if let Err(error) = std::fs::remove_file(&old.path) {
            tracing::warn!(%error, copy = %old.path.display(), "an old copy could not be taken away");
        }
    }
}

/// Whether the day's copy is due.
pub(super) fn is_due(file: &Path) -> bool {
    let last = all(file).into_iter().find(|copy| copy.why == Why::Daily);
    last.is_none_or(|copy| copy.made_at.elapsed().is_ok_and(|age| age > A_DAY))
}
