//! The mark each write leaves: whose file it is, and how many writes it has seen. It tells whether the log beside a file is
//! that file's own.
//!
//! SQLite replays whatever log it finds beside a file. After a crash people put a copy in the place of the file, and the log
//! of the file before would be carried into it, page by page.

use std::io::Read as _;
use std::path::{Path, PathBuf};

use rusqlite::{Connection, OpenFlags};

use super::error::{Result, StoreError};
use lorimant_text::text;

/// What every mark begins with.
const BEGINS: &str = "lorimant-written:";
/// Hexadecimal digits of a workshop's name.
const WORKSHOP: usize = 32;
/// Digits of the count.
const COUNT: usize = 20;

/// Which workshop, after how many writes.
#[derive(Debug, Clone, PartialEq, Eq)]
struct Mark {
    workshop: String,
    writes: u64,
}

impl Mark {
    /// Reads a mark at the head of some bytes.
    fn at(bytes: &[u8]) -> Option<Self> {
        let text = std::str::from_utf8(bytes.get(..BEGINS.len() + WORKSHOP + 1 + COUNT)?).ok()?;
        let (workshop, writes) = text.strip_prefix(BEGINS)?.split_once(':')?;
        Some(Self { workshop: workshop.to_owned(), writes: writes.parse().ok()? })
    }

    /// The first mark anywhere in some bytes.
    fn within(bytes: &[u8]) -> Option<Self> {
        let begins = BEGINS.as_bytes();
        let mut places = bytes.windows(begins.len()).enumerate().filter(|(_, window)| *window == begins);
        places.find_map(|(at, _)| Self::at(&bytes[at..]))
    }
}

/// Counts a write; part of its transaction.
pub(super) fn count(connection: &Connection) -> rusqlite::Result<()> {
    let sql = "UPDATE written SET mark = 'lorimant-written:' || workshop || ':' \
               || printf('%020d', CAST(substr(mark, -20) AS INTEGER) + 1)";
    connection.execute(sql, []).map(|_| ())
}

/// A file as SQLite is told to read it by itself, whatever log lies beside it.
pub(super) fn as_it_stands(name: &str) -> String {
    let name = name.replace('%', "%25").replace('?', "%3f").replace('#', "%23");
    format!("file:{name}?immutable=1")
}

/// Whether something was written to a file that its log still holds.
fn has_a_log(path: &Path) -> bool {
    std::fs::metadata(beside(path, "-wal")).is_ok_and(|log| log.len() > 0)
}

/// Why a file is only read, with what is not seen then: the log beside it cannot be read without room to index it.
pub(super) fn with_the_log(why: String, path: &Path) -> String {
    if has_a_log(path) { text!("file-written-what-was-written-last-in", why) } else { why }
}

/// Opens a file to read it; where no log lies beside it, nothing is put there either.
pub(super) fn open_as_it_stands(path: &Path) -> Result<Connection> {
    let log = has_a_log(path);
    let flags = OpenFlags::SQLITE_OPEN_READ_ONLY | OpenFlags::SQLITE_OPEN_URI;
    Ok(match path.to_str().filter(|_| !log) {
        Some(name) => Connection::open_with_flags(as_it_stands(name), flags)?,
        None => Connection::open_with_flags(path, OpenFlags::SQLITE_OPEN_READ_ONLY)?,
    })
}

/// The mark in the file itself, whatever log lies beside it; none in a file of an older program.
fn of_the_file(path: &Path) -> Option<Mark> {
    let flags = OpenFlags::SQLITE_OPEN_READ_ONLY | OpenFlags::SQLITE_OPEN_URI;
    let connection = Connection::open_with_flags(as_it_stands(path.to_str()?), flags).ok()?;
    let mark: String = connection.query_row("SELECT mark FROM written", [], |row| row.get(0)).ok()?;
    Mark::at(mark.as_bytes())
}

fn beside(path: &Path, suffix: &str) -> PathBuf {
    let mut name = path.as_os_str().to_owned();
    name.push(suffix);
    PathBuf::from(name)
}

/// The first and the last mark in a log; none where it holds none.
fn of_the_log(bytes: &[u8]) -> Option<(Mark, Mark)> {
    let number = |at: usize| Some(u32::from_be_bytes(bytes.get(at..at + 4)?.try_into().ok()?));
    let (magic, page) = (number(0)?, usize::try_from(number(8)?).ok()?);
    let salts = bytes.get(16..24)?;
    if magic >> 1 != 0x377f_0682 >> 1 || page == 0 {
        return None;
    }
    let frames = bytes.get(32..)?.chunks_exact(24 + page);
    // Frames of an earlier round of the log carry other salts.
    let valid = frames.take_while(|frame| frame.get(8..16) == Some(salts));
    let mut marks = valid.filter_map(|frame| Mark::within(&frame[24..]));
    let first = marks.next()?;
    let last = marks.last().unwrap_or_else(|| first.clone());
    Some((first, last))
}

/// Whether a log goes on from a file: the same workshop, no write missing between them, nothing older than the file.
fn belongs(file: &Mark, (first, last): &(Mark, Mark)) -> bool {
    file.workshop == first.workshop && first.writes <= file.writes + 1 && file.writes <= last.writes
}

/// Ends the name of a log that was put aside, before the moment.
const SET_ASIDE: &str = "-log-set-aside-";

/// The names of the logs that were put aside and still lie beside a file, the newest first.
pub(super) fn logs_set_aside(path: &Path) -> Vec<String> {
    let (Some(folder), Some(name)) = (path.parent(), path.file_name()) else { return vec![] };
    let begins = format!("{}{SET_ASIDE}", name.to_string_lossy());
    let files = std::fs::read_dir(folder).into_iter().flatten().flatten();
    let names = files.map(|file| file.file_name().to_string_lossy().into_owned());
    let mut found: Vec<String> = names.filter(|name| name.starts_with(&begins)).collect();
    found.sort_by(|a, b| b.cmp(a));
    found
}

/// Puts a log aside that is not the file's own, under a name with the moment; gives where. What it holds is in that file.
///
/// # Errors
/// When the log cannot be read or moved.
pub(super) fn set_a_strange_log_aside(path: &Path) -> Result<Option<PathBuf>> {
    let log = beside(path, "-wal");
    let mut bytes = vec![];
    match std::fs::File::open(&log) {
        Err(_) => return Ok(None),
        Ok(mut file) => file.read_to_end(&mut bytes).map_err(StoreError::Unopened)?,
    };
    let (Some(file), Some(marks)) = (of_the_file(path), of_the_log(&bytes)) else { return Ok(None) };
    if belongs(&file, &marks) {
        return Ok(None);
    }
    put_log_aside(path)
}

/// Puts the log beside a file aside, where there is anything in it, under a name with the moment; gives where.
///
/// # Errors
/// When it cannot be moved.
pub(super) fn put_log_aside(path: &Path) -> Result<Option<PathBuf>> {
    let moment = jiff::Timestamp::now().strftime("%Y-%m-%dT%H-%M-%S");
    let (log, aside) = (beside(path, "-wal"), beside(path, &format!("{SET_ASIDE}{moment}")));
    // The index of that log says nothing of another file.
    let _ = std::fs::remove_file(beside(path, "-shm"));
    if !has_a_log(path) {
        let _ = std::fs::remove_file(log);
        return Ok(None);
    }
    std::fs::rename(&log, &aside).map_err(StoreError::Unopened)?;
    Ok(Some(aside))
}

/// Copies a file, and its log where that is its own.
///
/// # Errors
/// When it cannot be copied.
pub(super) fn copy_with_its_log(path: &Path, to: &Path) -> Result<()> {
    std::fs::copy(path, to).map_err(StoreError::Unopened)?;
    if has_a_log(path) {
        std::fs::copy(beside(path, "-wal"), beside(to, "-wal")).map_err(StoreError::Unopened)?;
        set_a_strange_log_aside(to)?;
    }
    Ok(())
}

#[cfg(test)]
mod tests {
    #![allow(clippy::unwrap_used)]

    use crate::store::written::{BEGINS, Mark, WORKSHOP, belongs};

    fn mark(writes: u64) -> Mark {
        Mark { workshop: "a".repeat(WORKSHOP), writes }
    }

    #[test]
    fn a_mark_is_read_wherever_it_stands() {
        let text = format!("{BEGINS}{}:{:020}", "a".repeat(WORKSHOP), 17);
        let bytes = [&b"\x00\x01 lorimant-written:broken "[..], text.as_bytes(), b"\x00\x00"].concat();
        assert_eq!(Mark::within(&bytes), Some(mark(17)));
        assert_eq!(Mark::within(b"nothing here"), None);
    }

    #[test]
    fn a_log_belongs_where_no_write_is_missing() {
        let log = |first, last| (mark(first), mark(last));
        assert!(belongs(&mark(7), &log(8, 9)), "it goes on");
        assert!(belongs(&mark(9), &log(8, 9)), "part of it was carried over already");
        assert!(!belongs(&mark(5), &log(8, 9)), "an older copy: writes 6 and 7 are missing");
        assert!(!belongs(&mark(12), &log(8, 9)), "a newer copy would go back");
        let other = Mark { workshop: "b".repeat(WORKSHOP), writes: 8 };
        assert!(!belongs(&other, &log(8, 9)), "another workshop's");
    }
}
