//! Shelves of kept records: all of one shape, so that listing, revising and undoing are written once.

use std::collections::HashSet;

use lorimant_core::chain::weave::Weave;
use lorimant_core::words::length::LengthUnit;
use rusqlite::{Connection, OptionalExtension, Row, Transaction};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::batch::now;
use super::error::{Result, StoreError};
use super::search;
use super::settings::unit;
use crate::document::plans::PlanDocument;
use crate::kept::{Kept, KeptChain, KeptPattern, KeptPlan};
use lorimant_text::text;

/// Which records.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) enum Shelf {
    /// Ring plans.
    Plans,
    /// Findings.
    Patterns,
    /// Chains.
    Chains,
    /// A maker's own weaves.
    Weaves,
    /// Rods.
    Rods,
    /// Pliers.
    Pliers,
    /// Saw blades.
    Blades,
    /// Lots of wire.
    Lots,
    /// How wires are kept.
    Keepings,
    /// What is picked to be made.
    Picks,
    /// What is being made.
    Batches,
    /// Who wants what.
    Orders,
    /// What was made.
    Bags,
    /// What is held by hand when sessions are planned.
    Holds,
    /// What is measured.
    Checks,
}

/// A record as it stands on its shelf.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub(crate) struct Entry<T> {
    /// Its number.
    pub id: i64,
    /// How often it was changed; send it back with an edit.
    pub revision: i64,
    /// Whether it was put away.
    pub archived: bool,
    /// When it was first kept, UTC.
    pub created_at: String,
    /// When it was last changed, UTC.
    pub updated_at: String,
    /// What it is called in lists.
    pub name: String,
    /// What it stands for, in a sentence.
    pub description: String,
    /// The record itself.
    pub record: T,
}

impl<T> Entry<T> {
    /// The number of a record that is not kept.
    pub const UNKEPT: i64 = 0;

    /// A record that is not kept, to be worked with as if it were.
    pub fn unkept(record: T) -> Self {
        let none = String::new;
        Self {
            id: Self::UNKEPT,
            revision: 0,
            archived: false,
            created_at: none(),
            updated_at: none(),
            name: none(),
            description: none(),
            record,
        }
    }
}

/// What was written, and the number that undoes it.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub(crate) struct Written<T> {
    /// The entry as it now stands.
    pub entry: Entry<T>,
    /// Number to post to `/api/undo/{batch}`.
    pub undo: i64,
}

/// A record as it stood at one revision.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub(crate) struct Revision<T> {
    /// Which; 1 is as it was first kept.
    pub revision: i64,
    /// When it was made so, UTC.
    pub made_at: String,
    /// What it stood for, in a sentence.
    pub description: String,
    /// The record.
    pub record: T,
}

/// A stretch of a list.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub(crate) struct Page<T> {
    /// Entries, last changed first.
    pub entries: Vec<Entry<T>>,
    /// How many there are in all.
    pub total: i64,
}

/// What part of a shelf is wanted.
#[derive(Debug, Clone, Default)]
pub(crate) struct Wanted {
    /// Words the name or record must contain.
    pub find: String,
    /// Those put away instead of those in use.
    pub archived: bool,
    /// How many to pass over.
    pub skip: u32,
    /// How many at most.
    pub most: u32,
}

/// What a change wrote over: enough to put it back.
#[derive(PartialEq, Serialize, Deserialize)]
pub(super) struct Before {
    pub(super) name: String,
    pub(super) record: String,
    pub(super) archived: bool,
}

/// Something to do to an entry that is there.
pub(crate) enum Edit<T> {
    /// Put another record in its place.
    Replace(T),
    /// Put it away, or take it out again.
    Archive(bool),
}

impl Shelf {
    const ALL: [Self; 15] = [
        Self::Plans,
        Self::Patterns,
        Self::Chains,
        Self::Weaves,
        Self::Rods,
        Self::Pliers,
        Self::Blades,
        Self::Lots,
        Self::Keepings,
        Self::Picks,
        Self::Batches,
        Self::Orders,
        Self::Bags,
        Self::Holds,
        Self::Checks,
    ];

    /// The shelf with this word.
    pub(super) fn named(word: &str) -> Option<Self> {
        Self::ALL.into_iter().find(|shelf| shelf.word() == word)
    }

    /// The word it has in the file.
    fn word(self) -> &'static str {
        match self {
            Self::Plans => "plan",
            Self::Patterns => "pattern",
            Self::Chains => "chain",
            Self::Weaves => "weave",
            Self::Rods => "rod",
            Self::Pliers => "plier",
            Self::Blades => "blade",
            Self::Lots => "lot",
            Self::Keepings => "keeping",
            Self::Picks => "pick",
            Self::Batches => "batch",
            Self::Orders => "order",
            Self::Bags => "bag",
            Self::Holds => "hold",
            Self::Checks => "check",
        }
    }

    pub fn get<T: Kept>(self, connection: &Connection, id: i64) -> Result<Entry<T>> {
        let sql = format!("SELECT {COLUMNS} FROM entries WHERE shelf = ?1 AND id = ?2");
        let raw = connection.prepare_cached(&sql)?.query_row((self.word(), id), Raw::of).optional()?;
        raw.ok_or(StoreError::Missing { what: noun(self.word()), id })?.entry(unit(connection)?)
    }

    /// Every entry in use, oldest first.
    pub fn all<T: Kept>(self, connection: &Connection) -> Result<Vec<Entry<T>>> {
        let sql = format!("SELECT {COLUMNS} FROM entries WHERE shelf = ?1 AND archived = 0 ORDER BY id");
        let mut statement = connection.prepare_cached(&sql)?;
        let rows = statement.query_map([self.word()], Raw::of)?;
        let unit = unit(connection)?;
        rows.map(|raw| raw?.entry(unit)).collect()
    }

    pub fn page<T: Kept>(self, connection: &Connection, wanted: &Wanted) -> Result<Page<T>> {
        search::check(&wanted.find)?;
        let chosen = format!("FROM entries WHERE shelf = ?1 AND archived = ?2 AND {}", search::clause(3));
        let bound = (self.word(), wanted.archived, &wanted.find);
        let total = connection.query_row(&format!("SELECT count(*) {chosen}"), bound, |row| row.get(0))?;
        let sql = format!(
            "SELECT {COLUMNS} {chosen} ORDER BY updated_at DESC, id DESC LIMIT {} OFFSET {}",
            wanted.most, wanted.skip
        );
        let mut statement = connection.prepare(&sql)?;
        let rows = statement.query_map(bound, Raw::of)?;
        let unit = unit(connection)?;
        let entries = rows.map(|raw| raw?.entry(unit)).collect::<Result<_>>()?;
        Ok(Page { entries, total })
    }

    /// The entries in use whose names have all these words, last changed first: each with its number.
    pub fn called(self, connection: &Connection, words: &str, most: u32) -> Result<Vec<(i64, String)>> {
        let sql = "SELECT id, name FROM entries WHERE shelf = ?1 AND archived = 0 AND finds(?2, name, '')
                   ORDER BY updated_at DESC, id DESC LIMIT ?3";
        let mut statement = connection.prepare_cached(sql)?;
        let rows = statement.query_map((self.word(), words, most), |row| Ok((row.get(0)?, row.get(1)?)))?;
        Ok(rows.collect::<rusqlite::Result<_>>()?)
    }

    /// Puts a new record on the shelf, as part of a batch.
    pub fn add<T: Kept>(self, transaction: &Transaction, batch: i64, record: &T) -> Result<Entry<T>> {
        let now = now();
        transaction.execute(
            "INSERT INTO entries (shelf, name, record, revision, created_at, updated_at)
             VALUES (?1, ?2, ?3, 1, ?4, ?4)",
            (self.word(), record.name(), record.written()?, &now),
        )?;
        let id = transaction.last_insert_rowid();
        log(transaction, batch, id, None, 1)?;
        self.get(transaction, id)
    }

    /// Adds the records whose names are not on the shelf yet; gives how many were added.
    pub fn add_missing<T: Kept>(self, transaction: &Transaction, batch: i64, records: &[T]) -> Result<usize> {
        let mut owned: HashSet<String> =
            self.all::<T>(transaction)?.into_iter().map(|entry| entry.record.name()).collect();
        let mut added = 0;
        for record in records {
            if owned.insert(record.name()) {
                self.add(transaction, batch, record)?;
                added += 1;
            }
        }
        Ok(added)
    }

    /// Adds the records that are not on the shelf as they are; gives the new entries, and how many were there already.
    pub fn add_unlike<T: Kept>(
        self,
        transaction: &Transaction,
        batch: i64,
        records: &[T],
    ) -> Result<(Vec<Entry<T>>, usize)> {
        let here: Vec<Entry<T>> = self.all(transaction)?;
        let here: HashSet<String> =
            here.iter().map(|entry| entry.record.written()).collect::<serde_json::Result<_>>()?;
        let mut added = vec![];
        for record in records {
            if !here.contains(&record.written()?) {
                added.push(self.add(transaction, batch, record)?);
            }
        }
        let already = records.len() - added.len();
        Ok((added, already))
    }

    /// The entry as it stood at each revision, newest first.
    pub fn revisions<T: Kept>(self, connection: &Connection, id: i64) -> Result<Vec<Revision<T>>> {
        let current: Entry<T> = self.get(connection, id)?;
        // A change holds what it wrote over: the record at the revision before, since it was made.
        let sql = "SELECT before, revision, made_at FROM changes WHERE entry = ?1 ORDER BY revision DESC";
        let mut statement = connection.prepare_cached(sql)?;
        let rows = statement.query_map([id], |row| {
            Ok((row.get::<_, Option<String>>(0)?, row.get::<_, i64>(1)?, row.get::<_, String>(2)?))
        })?;
        let unit = unit(connection)?;
        let mut revisions: Vec<Revision<T>> = vec![];
        let mut record = current.record;
        for row in rows {
            let (before, revision, made_at) = row?;
            let description = record.sentence(unit);
            revisions.push(Revision { revision, made_at, description, record });
            let Some(before) = before else { break };
            record = serde_json::from_str(&serde_json::from_str::<Before>(&before)?.record)?;
        }
        Ok(revisions)
    }

    /// Edits the entry, if it still stands at the revision the edit was made from.
    pub fn edit<T: Kept>(
        self,
        transaction: &Transaction,
        batch: i64,
        id: i64,
        revision: i64,
        edit: &Edit<T>,
    ) -> Result<Entry<T>> {
        let current: Entry<T> = self.get(transaction, id)?;
        if current.revision != revision {
            return Err(StoreError::Conflict { current: serde_json::to_value(&current)? });
        }
        let record = match edit {
            Edit::Replace(record) => record,
            Edit::Archive(_) => &current.record,
        };
        let archived = if let Edit::Archive(archived) = edit { *archived } else { current.archived };
        let before = Before {
            name: current.record.name(),
            record: serde_json::to_string(&current.record)?,
            archived: current.archived,
        };
        let after = Before { name: record.name(), record: record.written()?, archived };
        put(transaction, id, &after, revision + 1)?;
        log(transaction, batch, id, Some(&before), revision + 1)?;
        self.get(transaction, id)
    }
}

pub(super) fn put(transaction: &Transaction, id: i64, state: &Before, revision: i64) -> Result<()> {
    transaction.execute(
        "UPDATE entries SET name = ?2, record = ?3, archived = ?4, revision = ?5, updated_at = ?6 WHERE id = ?1",
        (id, &state.name, &state.record, state.archived, revision, now()),
    )?;
    Ok(())
}

pub(super) fn log(
    t: &Transaction,
    batch: i64,
    id: i64,
    before: Option<&Before>,
    revision: i64,
) -> Result<()> {
    let before = before.map(serde_json::to_string).transpose()?;
    t.execute(
        "INSERT INTO changes (batch, entry, before, revision, made_at) VALUES (?1, ?2, ?3, ?4, ?5)",
        (batch, id, before, revision, now()),
    )?;
    Ok(())
}

/// How an entry stands, whatever it is, and its revision.
pub(super) fn state(connection: &Connection, id: i64) -> Result<(Before, i64)> {
    let sql = "SELECT name, record, archived, revision FROM entries WHERE id = ?1";
    let row = connection.query_row(sql, [id], |row| {
        let state = Before { name: row.get(0)?, record: row.get(1)?, archived: row.get(2)? };
        Ok((state, row.get(3)?))
    });
    row.optional()?.ok_or(StoreError::Missing { what: text!("file-shelf-entry"), id })
}

/// What was brought in.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct Imported {
    /// The new plans.
    pub entries: Vec<Entry<KeptPlan>>,
    /// The new patterns.
    pub patterns: Vec<Entry<KeptPattern>>,
    /// The new chains.
    pub chains: Vec<Entry<KeptChain>>,
    /// The new weaves.
    pub weaves: Vec<Entry<Weave>>,
    /// Rods that were added; those already owned are left alone.
    pub rods_n: usize,
    /// Pliers that were added; those already owned are left alone.
    pub pliers_n: usize,
    /// Blades that were added; those already owned are left alone.
    pub blades_n: usize,
    /// Plans, patterns, chains and weaves that were here already, to the last word; they are left alone.
    pub already_n: usize,
    /// Number to post to `/api/undo/{batch}`.
    pub undo: i64,
}

/// Brings in a whole document as one batch. What is there already, and tools already owned, are left alone.
pub(crate) fn bring_in(transaction: &Transaction, undo: i64, document: &PlanDocument) -> Result<Imported> {
    let (entries, plans_n) = Shelf::Plans.add_unlike(transaction, undo, &document.plans)?;
    let (patterns, patterns_n) = Shelf::Patterns.add_unlike(transaction, undo, &document.patterns)?;
    let (chains, chains_n) = Shelf::Chains.add_unlike(transaction, undo, &document.chains)?;
    let (weaves, weaves_n) = Shelf::Weaves.add_unlike(transaction, undo, &document.weaves)?;
    Ok(Imported {
        rods_n: Shelf::Rods.add_missing(transaction, undo, &document.rods)?,
        pliers_n: Shelf::Pliers.add_missing(transaction, undo, &document.pliers)?,
        blades_n: Shelf::Blades.add_missing(transaction, undo, &document.blades)?,
        entries,
        patterns,
        chains,
        weaves,
        already_n: plans_n + patterns_n + chains_n + weaves_n,
        undo,
    })
}

pub(super) const COLUMNS: &str = "id, revision, archived, created_at, updated_at, record";

/// A row whose record is not yet understood.
pub(super) struct Raw {
    pub(super) id: i64,
    revision: i64,
    pub(super) archived: bool,
    created_at: String,
    updated_at: String,
    record: String,
}

impl Raw {
    pub(super) fn of(row: &Row) -> rusqlite::Result<Self> {
        Ok(Self {
            id: row.get(0)?,
            revision: row.get(1)?,
            archived: row.get(2)?,
            created_at: row.get(3)?,
            updated_at: row.get(4)?,
            record: row.get(5)?,
        })
    }

    /// Its record, understood as far as is asked.
    pub(super) fn read<T: serde::de::DeserializeOwned>(&self) -> Result<T> {
        Ok(serde_json::from_str(&self.record)?)
    }

    pub(super) fn entry<T: Kept>(self, unit: LengthUnit) -> Result<Entry<T>> {
        let record: T = serde_json::from_str(&self.record)?;
        Ok(Entry {
            name: record.called(unit),
            description: record.sentence(unit),
            id: self.id,
            revision: self.revision,
            archived: self.archived,
            created_at: self.created_at,
            updated_at: self.updated_at,
            record,
        })
    }
}

/// What a record is called, by the word of its shelf.
pub(super) fn noun(shelf: &str) -> &str {
    match shelf {
        "pattern" => text!("file-history-finding"),
        "check" => text!("file-history-measurement"),
        "plan" => text!("file-history-ring-plan"),
        "pick" => text!("file-history-cutting-list"),
        "chain" => text!("file-history-chain"),
        "weave" => text!("file-history-weave"),
        "plier" => text!("file-history-pliers"),
        "rod" => text!("file-history-rod"),
        "blade" => text!("file-history-blade"),
        "lot" => text!("file-history-lot"),
        "batch" => text!("file-history-batch"),
        "bag" => text!("file-history-bag"),
        "keeping" => text!("file-history-when-buy"),
        "order" => text!("file-history-order"),
        "hold" => text!("file-history-in-schedule"),
        other => other,
    }
}
