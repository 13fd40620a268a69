//! All of the workshop out of the file and into a new one, line by line: as much as there is, in little memory.

use std::io::{BufRead, Read as _, Write};

use lorimant_core::bench::Batch;
use lorimant_core::fault::{Fault, Faults, check_text};
use lorimant_core::rack::stock::MovementKind;
use lorimant_core::rack::stock::scrap::Cleanliness;
use lorimant_core::wire::metal::Metal;
use lorimant_core::words::{capital, quoted};
use rusqlite::{Connection, Row, Transaction, params};
use serde::de::DeserializeOwned;
use serde_json::Value;

use super::checks;
use super::error::{Result, StoreError};
use super::settings::settings;
use super::shelf::{Before, Shelf};
use crate::document::whole::{
    ChangeLine, EntryLine, FORMAT, HappenedLine, LedgerLine, Line, ReadingLine, Stood, VERSION,
};
use crate::kept::{Kept, KeptBlade, KeptChain, KeptPattern, KeptPlan, Pick, Settings};
use lorimant_text::text;

/// Longest line taken: a record's note and numbers, many times over.
const LONGEST: u64 = 1024 * 1024;

/// Writes all there is, a line each; gives how many.
pub(crate) fn write_out(connection: &Connection, to: &mut impl Write) -> Result<u64> {
    let mut out = Out { to, lines_n: 0 };
    out.line(&Line::Workshop { format: FORMAT.to_owned(), version: VERSION })?;
    let (record, revision) = settings(connection)?;
    out.line(&Line::Settings { revision, record: Box::new(record) })?;
    let json = |row: &Row, at: usize| -> rusqlite::Result<Value> {
        let text: String = row.get(at)?;
        serde_json::from_str(&text).map_err(|error| {
            rusqlite::Error::FromSqlConversionFailure(at, rusqlite::types::Type::Text, Box::new(error))
        })
    };
    out.all(connection, "SELECT id, made_at, device FROM batches ORDER BY id", |row| {
        Ok(Line::Batch { id: row.get(0)?, made_at: row.get(1)?, device: row.get(2)? })
    })?;
    let entries =
        "SELECT id, shelf, record, revision, archived, created_at, updated_at FROM entries ORDER BY id";
    out.all(connection, entries, |row| {
        Ok(Line::Entry(EntryLine {
            id: row.get(0)?,
            shelf: row.get(1)?,
            record: json(row, 2)?,
            revision: row.get(3)?,
            archived: row.get(4)?,
            created_at: row.get(5)?,
            updated_at: row.get(6)?,
        }))
    })?;
    let changes = "SELECT id, batch, entry, before ->> '$.record', before ->> '$.archived', revision, made_at \
                   FROM changes ORDER BY id";
    out.all(connection, changes, |row| {
        let before = row.get::<_, Option<bool>>(4)?;
        let before =
            before.map(|archived| Ok::<_, rusqlite::Error>(Stood { record: json(row, 3)?, archived }));
        Ok(Line::Change(ChangeLine {
            id: row.get(0)?,
            batch: row.get(1)?,
            entry: row.get(2)?,
            before: before.transpose()?,
            revision: row.get(5)?,
            made_at: row.get(6)?,
        }))
    })?;
    let ledger = "SELECT id, batch, lot, pile, kind, amount, note, made_at, reverses FROM ledger ORDER BY id";
    out.all(connection, ledger, |row| {
        Ok(Line::Ledger(LedgerLine {
            id: row.get(0)?,
            batch: row.get(1)?,
            lot: row.get(2)?,
            pile: row.get(3)?,
            kind: row.get(4)?,
            amount: row.get(5)?,
            note: row.get(6)?,
            made_at: row.get(7)?,
            reverses: row.get(8)?,
        }))
    })?;
    let happened = "SELECT id, key, entry, step_n, happened, n, reason, made_at, booked, device FROM happened ORDER BY id";
    out.all(connection, happened, |row| {
        Ok(Line::Happened(HappenedLine {
            id: row.get(0)?,
            key: row.get(1)?,
            entry: row.get(2)?,
            step_n: row.get(3)?,
            happened: word(row, 4)?,
            n: row.get(5)?,
            reason: row.get(6)?,
            made_at: row.get(7)?,
            booked: row.get(8)?,
            device: row.get(9)?,
        }))
    })?;
    let readings = "SELECT id, key, entry, piece_n, dimension, value, source, made_at, aside, device FROM readings ORDER BY id";
    out.all(connection, readings, |row| {
        Ok(Line::Reading(ReadingLine {
            id: row.get(0)?,
            key: row.get(1)?,
            entry: row.get(2)?,
            piece_n: row.get(3)?,
            dimension: row.get(4)?,
            value: row.get(5)?,
            source: word(row, 6)?,
            made_at: row.get(7)?,
            excluded: row.get(8)?,
            device: row.get(9)?,
        }))
    })?;
    let lines_n = out.lines_n;
    out.line(&Line::End { lines_n })?;
    Ok(lines_n)
}

/// A word of the trade in a row.
fn word<T: std::str::FromStr>(row: &Row, at: usize) -> rusqlite::Result<T> {
    let text: String = row.get(at)?;
    text.parse().map_err(|_| rusqlite::Error::InvalidColumnType(at, text, rusqlite::types::Type::Text))
}

/// Where the lines go.
struct Out<'a, W> {
    to: &'a mut W,
    lines_n: u64,
}

impl<W: Write> Out<'_, W> {
    fn line(&mut self, line: &Line) -> Result<()> {
        serde_json::to_writer(&mut *self.to, line)?;
        self.to.write_all(b"\n").map_err(StoreError::Unopened)?;
        self.lines_n += 1;
        Ok(())
    }

    fn all(
        &mut self,
        connection: &Connection,
        sql: &str,
        line: impl Fn(&Row) -> rusqlite::Result<Line>,
    ) -> Result<()> {
        let mut statement = connection.prepare(sql)?;
        let mut rows = statement.query([])?;
        while let Some(row) = rows.next()? {
            self.line(&line(row)?)?;
        }
        Ok(())
    }
}

/// What came of bringing a workshop in.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(crate) enum Brought {
    /// All of it was written: so many records and lines.
    All(u64),
    /// It was here already, to the last line.
    Here,
}

/// Brings a whole workshop in where there is none yet.
///
/// # Errors
/// A fault at its line where it cannot be read, is no record of this program, or does not fit what stands before it;
/// where the file breaks off; and where this workshop has other things of its own.
pub(crate) fn read_in(t: &Transaction, mut from: impl BufRead) -> Result<Brought> {
    let used =
        t.query_row("SELECT EXISTS (SELECT 1 FROM entries) OR EXISTS (SELECT 1 FROM ledger)", [], |row| {
            row.get(0)
        })?;
    let mut at = At { line_n: 0, heading: false, ended: false };
    let mut here = Comparison::of(t)?;
    let mut text = String::new();
    loop {
        text.clear();
        let read = (&mut from)
            .take(LONGEST)
            .read_line(&mut text)
            .map_err(|error| at.next().fault(&error.to_string()))?;
        if read == 0 {
            break;
        }
        at = at.next();
        if read as u64 == LONGEST {
            return Err(at.fault(text!("file-whole-this-line-longer-than-any")));
        }
        if text.trim().is_empty() {
            continue;
        }
        let line: Line = serde_json::from_str(&text).map_err(|error| at.fault(&error.to_string()))?;
        at.placed(&line)?;
        if used {
            here.compare(&line)?;
        } else {
            put(t, &line).map_err(|error| at.within(error))?;
        }
    }
    if !at.ended {
        return Err(at.fault(text!("file-whole-file-breaks-off-here-its")));
    }
    match (used, here.same()) {
        (false, _) => {
            checks::relearn_all(t)?;
            Ok(Brought::All(at.line_n - 2))
        }
        (true, true) => Ok(Brought::Here),
        (true, false) => {
            let message = text!("file-whole-this-workshop-already-has-data");
            Err(StoreError::Refused(Fault::new("file", message).into()))
        }
    }
}

/// Where the reading is.
struct At {
    line_n: u64,
    heading: bool,
    ended: bool,
}

impl At {
    fn next(&self) -> Self {
        Self { line_n: self.line_n + 1, ..*self }
    }

    fn fault(&self, message: &str) -> StoreError {
        let message =
            text!("file-whole-line", line_n = self.line_n, message = capital(message.trim_end_matches('.')));
        StoreError::Refused(Fault::new(text!("file-whole-line-2", line_n = self.line_n), message).into())
    }

    fn within(&self, error: StoreError) -> StoreError {
        match error {
            StoreError::Refused(faults) => self.fault(&faults.to_string()),
            StoreError::Record(error) => self.fault(&error.to_string()),
            StoreError::Sqlite(rusqlite::Error::SqliteFailure(broken, why))
                if broken.code == rusqlite::ErrorCode::ConstraintViolation =>
            {
                tracing::info!("a line of a file does not fit: {}", why.unwrap_or_default());
                self.fault(text!("file-whole-this-does-not-fit-lines"))
            }
            other => other,
        }
    }

    /// The heading comes first, and nothing comes behind the end.
    fn placed(&mut self, line: &Line) -> Result<()> {
        if self.ended {
            return Err(self.fault(text!("file-whole-nothing-may-follow-end")));
        }
        match line {
            Line::Workshop { format, version } => {
                if self.heading || format != FORMAT || *version != VERSION {
                    return Err(self.fault(&text!(
                        "file-whole-this-must-be-heading-version",
                        FORMAT,
                        VERSION
                    )));
                }
                self.heading = true;
            }
            Line::End { lines_n } => {
                self.ended = true;
                if *lines_n + 1 != self.line_n {
                    return Err(self.fault(&text!("file-whole-there-should-be-lines-before", lines_n)));
                }
            }
            _ if !self.heading => {
                return Err(self.fault(text!("file-whole-workshop-starts-with-its-heading")));
            }
            _ => {}
        }
        Ok(())
    }
}

/// Largest number of a record, and largest amount: what a number of JSON holds exactly.
const MOST: i64 = 1 << 53;

/// Refuses what this program never writes: numbers, moments, kinds and readings that cannot be.
fn check(line: &Line) -> Result<()> {
    let mut faults = Faults::none();
    let mut number = |field: &str, n: i64| {
        if !(1..=MOST).contains(&n) {
            faults.add(Fault::new(field, text!("file-whole-not-valid-must-be-from", n, field, MOST)));
        }
    };
    match line {
        Line::Workshop { .. } | Line::Settings { .. } | Line::End { .. } => {}
        Line::Batch { id, .. } | Line::Happened(HappenedLine { id, .. }) => number("id", *id),
        Line::Reading(ReadingLine { id, .. }) | Line::Ledger(LedgerLine { id, .. }) => number("id", *id),
        Line::Entry(EntryLine { id, revision, .. }) | Line::Change(ChangeLine { id, revision, .. }) => {
            number("id", *id);
            number("revision", *revision);
        }
    }
    let moments: &[&String] = match line {
        Line::Entry(EntryLine { created_at, updated_at, .. }) => &[created_at, updated_at],
        Line::Batch { made_at, .. }
        | Line::Change(ChangeLine { made_at, .. })
        | Line::Ledger(LedgerLine { made_at, .. })
        | Line::Happened(HappenedLine { made_at, .. })
        | Line::Reading(ReadingLine { made_at, .. }) => &[made_at],
        _ => &[],
    };
    for moment in moments.iter().filter(|moment| moment.parse::<jiff::Timestamp>().is_err()) {
        faults.add(Fault::new("made_at", text!("file-whole-not-date-time", moment = quoted(moment))));
    }
    match line {
        Line::Ledger(LedgerLine { lot, pile, kind, amount, note, .. }) => {
            let known = match pile {
                None => lot.is_some() && kind.parse::<MovementKind>().is_ok(),
                Some(pile) => {
                    let words = pile.split_once(' ');
                    let pile = words.is_some_and(|(metal, clean)| {
                        metal.parse::<Metal>().is_ok() && clean.parse::<Cleanliness>().is_ok()
                    });
                    pile && lot.is_none()
                        && [text!("file-whole-taken-out"), text!("file-whole-put-in")]
                            .contains(&kind.as_str())
                }
            };
            if !known {
                faults
                    .add(Fault::new("kind", text!("file-whole-not-kind-stock-change", kind = quoted(kind))));
            }
            if amount.checked_abs().is_none_or(|amount| amount > MOST) {
                faults.add(Fault::new("amount", text!("file-whole-more-than-lot-can-hold", amount)));
            }
            faults.keep(check_text("note", text!("noun-note"), note, 400));
        }
        Line::Happened(HappenedLine { step_n, n, reason, key, .. }) => {
            if !(1..=1000).contains(step_n) || *n > 100_000 || !(8..=64).contains(&key.len()) {
                faults.add(Fault::new("happened", text!("file-whole-this-not-press-batch")));
            }
            faults.keep(check_text("reason", text!("noun-reason"), reason, 200));
        }
        Line::Reading(ReadingLine { value, dimension, .. }) => {
            if !(0.0..=300.0).contains(value) {
                faults.add(Fault::new("value", text!("file-whole-not-reading-must-be-from", value)));
            }
            faults.keep(check_text("dimension", text!("noun-dimension"), dimension, 80));
        }
        _ => {}
    }
    faults.into_result().map_err(StoreError::Refused)
}

/// Writes one line where it belongs.
fn put(t: &Transaction, line: &Line) -> Result<()> {
    check(line)?;
    match line {
        Line::Workshop { .. } | Line::End { .. } => {}
        Line::Settings { revision, record } => {
            Settings::check(record)?;
            let sql = "INSERT INTO settings (id, record, revision) VALUES (1, ?1, ?2) \
                       ON CONFLICT (id) DO UPDATE SET record = ?1, revision = ?2";
            t.prepare_cached(sql)?.execute(params![serde_json::to_string(record)?, revision])?;
        }
        Line::Batch { id, made_at, device } => {
            let sql =
                "INSERT INTO batches (id, made_at, device) VALUES (?1, ?2, ?3) ON CONFLICT (id) DO NOTHING";
            t.prepare_cached(sql)?.execute(params![id, made_at, device])?;
        }
        Line::Entry(line) => {
            let (name, record) = sound(&line.shelf, &line.record)?;
            let sql = "INSERT INTO entries (id, shelf, name, record, revision, archived, created_at, updated_at) \
                       VALUES (?1, ?2, ?3, ?4, ?5, ?6, ?7, ?8)";
            let EntryLine { id, shelf, revision, archived, created_at, updated_at, .. } = line;
            t.prepare_cached(sql)?
                .execute(params![id, shelf, name, record, revision, archived, created_at, updated_at])?;
        }
        Line::Change(line) => {
            let shelf: String = t
                .prepare_cached("SELECT shelf FROM entries WHERE id = ?1")?
                .query_row([line.entry], |row| row.get(0))
                .map_err(|_| {
                    Fault::new("entry", text!("file-whole-there-no-record-number-before", entry = line.entry))
                })
                .map_err(|fault| StoreError::Refused(fault.into()))?;
            let before = line.before.as_ref().map(|stood| {
                let (name, record) = sound(&shelf, &stood.record)?;
                Ok::<_, StoreError>(serde_json::to_string(&Before {
                    name,
                    record,
                    archived: stood.archived,
                })?)
            });
            let sql = "INSERT INTO changes (id, batch, entry, before, revision, made_at) VALUES (?1, ?2, ?3, ?4, ?5, ?6)";
            let ChangeLine { id, batch, entry, revision, made_at, .. } = line;
            t.prepare_cached(sql)?.execute(params![
                id,
                batch,
                entry,
                before.transpose()?,
                revision,
                made_at
            ])?;
        }
        Line::Ledger(line) => {
            let sql = "INSERT INTO ledger (id, batch, lot, pile, kind, amount, note, made_at, reverses) \
                       VALUES (?1, ?2, ?3, ?4, ?5, ?6, ?7, ?8, ?9)";
            let LedgerLine { id, batch, lot, pile, kind, amount, note, made_at, reverses } = line;
            t.prepare_cached(sql)?
                .execute(params![id, batch, lot, pile, kind, amount, note, made_at, reverses])?;
        }
        Line::Happened(line) => {
            let sql = "INSERT INTO happened (id, key, entry, step_n, happened, n, reason, made_at, booked, device) \
                       VALUES (?1, ?2, ?3, ?4, ?5, ?6, ?7, ?8, ?9, ?10)";
            let HappenedLine { id, key, entry, step_n, happened, n, reason, made_at, booked, device } = line;
            let happened = happened.word();
            t.prepare_cached(sql)?
                .execute(params![id, key, entry, step_n, happened, n, reason, made_at, booked, device])?;
        }
        Line::Reading(line) => {
            let ReadingLine { id, key, entry, piece_n, dimension, value, source, made_at, excluded, device } =
                line;
            let sql = "INSERT INTO readings (id, key, entry, piece_n, dimension, value, source, made_at, aside, device) \
                       VALUES (?1, ?2, ?3, ?4, ?5, ?6, ?7, ?8, ?9, ?10)";
            let source = source.word();
            t.prepare_cached(sql)?.execute(params![
                id, key, entry, piece_n, dimension, value, source, made_at, excluded, device
            ])?;
        }
    }
    Ok(())
}

/// A record's name and text, if it is a sound record of its shelf.
fn sound(shelf: &str, record: &Value) -> Result<(String, String)> {
    let mut record = record.clone();
    super::earlier::fill(&mut record);
    let record = &record;
    fn read<T: Kept + DeserializeOwned>(record: &Value) -> Result<(String, String)> {
        let record: T = serde_json::from_value(record.clone())?;
        record.check()?;
        Ok((record.name(), record.written()?))
    }
    match Shelf::named(shelf) {
        Some(Shelf::Plans) => read::<KeptPlan>(record),
        Some(Shelf::Patterns) => read::<KeptPattern>(record),
        Some(Shelf::Chains) => read::<KeptChain>(record),
        Some(Shelf::Weaves) => read::<lorimant_core::chain::weave::Weave>(record),
        Some(Shelf::Rods) => read::<lorimant_core::tool::mandrel::Mandrel>(record),
        Some(Shelf::Pliers) => read::<lorimant_core::tool::plier::Plier>(record),
        Some(Shelf::Blades) => read::<KeptBlade>(record),
        Some(Shelf::Lots) => read::<lorimant_core::rack::stock::Lot>(record),
        Some(Shelf::Keepings) => read::<lorimant_core::rack::stock::buying::StockLevel>(record),
        Some(Shelf::Picks) => read::<Pick>(record),
        Some(Shelf::Batches) => read::<Batch>(record),
        Some(Shelf::Orders) => read::<lorimant_core::order::Order>(record),
        Some(Shelf::Bags) => read::<lorimant_core::order::Bag>(record),
        Some(Shelf::Holds) => read::<lorimant_core::bench::schedule::agenda::ScheduleChange>(record),
        Some(Shelf::Checks) => read::<lorimant_core::learn::check::PieceCheck>(record),
        None => {
            Err(StoreError::Refused(Fault::new("shelf", text!("file-whole-there-no-shelf", shelf)).into()))
        }
    }
}

/// A workshop that is here, compared with one that comes in, line by line.
struct Comparison {
    /// What is written out of this one, as it would be.
    lines: Option<std::io::Lines<std::io::BufReader<std::fs::File>>>,
    differs: bool,
}

impl Comparison {
    fn of(t: &Transaction) -> Result<Self> {
        let mut file = tempfile::tempfile().map_err(StoreError::Unopened)?;
        let mut out = std::io::BufWriter::new(&mut file);
        write_out(t, &mut out)?;
        out.flush().map_err(StoreError::Unopened)?;
        drop(out);
        std::io::Seek::rewind(&mut file).map_err(StoreError::Unopened)?;
        Ok(Self { lines: Some(std::io::BufReader::new(file).lines()), differs: false })
    }

    fn compare(&mut self, line: &Line) -> Result<()> {
        let ours = self.lines.as_mut().and_then(Iterator::next);
        let ours = ours.transpose().map_err(StoreError::Unopened)?;
        let ours: Option<Line> = ours.as_deref().map(serde_json::from_str).transpose()?;
        self.differs |= ours.as_ref() != Some(line);
        Ok(())
    }

    fn same(&mut self) -> bool {
        !self.differs && self.lines.as_mut().is_none_or(|lines| lines.next().is_none())
    }
}
