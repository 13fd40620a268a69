//! Kept pieces of all shelves together: ring plans, findings and chains as one list.

use lorimant_core::piece::Piece;
use lorimant_core::words::length::LengthUnit;
use rusqlite::{Connection, Row};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::error::Result;
use super::search;
use super::settings::unit;
use super::shelf::{COLUMNS, Raw, Wanted};
use crate::kept::{KeptChain, KeptPattern, KeptPlan};

/// Which kept pieces are wanted.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Deserialize, ToSchema)]
#[serde(rename_all = "kebab-case")]
pub(crate) enum Which {
    /// Ring plans, findings and chains.
    #[default]
    All,
    /// Ring plans.
    Rings,
    /// Findings.
    Findings,
    /// Chains.
    Chains,
}

/// A kept piece: a ring plan, a finding or a chain, as lists show it.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub(crate) struct KeptPiece {
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
    /// Its name.
    pub name: String,
    /// Its note.
    pub note: String,
    /// What it is, in a sentence.
    pub description: String,
    /// How many others in use have the same name.
    pub namesakes_n: i64,
    /// The piece.
    pub piece: Piece,
}

/// A stretch of the kept pieces.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub(crate) struct KeptPieces {
    /// Pieces, last changed first.
    pub entries: Vec<KeptPiece>,
    /// How many there are in all.
    pub total: i64,
}

/// A row that is not yet understood, with the shelf it stands on.
struct PieceRow {
    shelf: String,
    namesakes_n: i64,
    raw: Raw,
}

impl PieceRow {
    fn of(row: &Row) -> rusqlite::Result<Self> {
        Ok(Self { raw: Raw::of(row)?, shelf: row.get(6)?, namesakes_n: row.get(7)? })
    }

    fn piece(self, unit: LengthUnit) -> Result<KeptPiece> {
        let Self { shelf, namesakes_n, raw } = self;
        let kept = |id, revision, archived, (created_at, updated_at), (name, note), (description, piece)| {
            KeptPiece {
                id,
                revision,
                archived,
                created_at,
                updated_at,
                name,
                note,
                description,
                namesakes_n,
                piece,
            }
        };
        Ok(if shelf == "plan" {
            let one = raw.entry::<KeptPlan>(unit)?;
            let of = (one.description, Piece::Rings(one.record.request));
            let when = (one.created_at, one.updated_at);
            kept(one.id, one.revision, one.archived, when, (one.record.name, one.record.note), of)
        } else if shelf == "chain" {
            let one = raw.entry::<KeptChain>(unit)?;
            let of = (one.description, Piece::Chain(Box::new(one.record.request)));
            let when = (one.created_at, one.updated_at);
            kept(one.id, one.revision, one.archived, when, (one.record.name, one.record.note), of)
        } else {
            let one = raw.entry::<KeptPattern>(unit)?;
            let of = (one.description, Piece::Finding(one.record.request));
            let when = (one.created_at, one.updated_at);
            kept(one.id, one.revision, one.archived, when, (one.record.name, one.record.note), of)
        })
    }
}

/// How many others in use are called the same, whatever the case of their letters.
const NAMESAKES: &str = "(SELECT count(*) FROM entries other WHERE other.shelf IN ('plan', 'pattern', 'chain')
    AND other.archived = 0 AND other.id <> entries.id AND trim(other.name) COLLATE NOCASE = trim(entries.name))";

/// A stretch of the shelves, last changed first.
pub(crate) fn pieces(connection: &Connection, which: Which, wanted: &Wanted) -> Result<KeptPieces> {
    search::check(&wanted.find)?;
    let shelves = match which {
        Which::All => "'plan', 'pattern', 'chain'",
        Which::Rings => "'plan'",
        Which::Findings => "'pattern'",
        Which::Chains => "'chain'",
    };
    let bound = (wanted.archived, &wanted.find);
    let chosen =
        format!("FROM entries WHERE shelf IN ({shelves}) AND archived = ?1 AND {}", search::clause(2));
    let count = format!("SELECT count(*) {chosen}");
    let total = connection.query_row(&count, bound, |row| row.get(0))?;
    // Namesakes are counted of the stretch alone, not of all there are.
    let sql = format!(
        "SELECT {COLUMNS}, shelf, {NAMESAKES} FROM entries WHERE id IN
            (SELECT id {chosen} ORDER BY updated_at DESC, id DESC LIMIT {} OFFSET {})
         ORDER BY updated_at DESC, id DESC",
        wanted.most, wanted.skip
    );
    let mut statement = connection.prepare(&sql)?;
    let unit = unit(connection)?;
    let rows = statement.query_map(bound, PieceRow::of)?;
    let entries = rows.map(|row| row?.piece(unit)).collect::<Result<_>>()?;
    Ok(KeptPieces { entries, total })
}

/// The pieces in use that are called so, but for one's own number.
pub(crate) fn named(connection: &Connection, name: &str, but: Option<i64>) -> Result<Vec<KeptPiece>> {
    let sql = format!(
        "SELECT {COLUMNS}, shelf, {NAMESAKES} FROM entries WHERE shelf IN ('plan', 'pattern', 'chain') AND archived = 0
         AND trim(name) COLLATE NOCASE = trim(?1) AND id IS NOT ?2 ORDER BY updated_at DESC LIMIT 10"
    );
    let mut statement = connection.prepare_cached(&sql)?;
    let unit = unit(connection)?;
    let rows = statement.query_map((name, but), PieceRow::of)?;
    rows.map(|row| row?.piece(unit)).collect()
}
