//! What is picked to be made.

use lorimant_core::fault::Fault;
use lorimant_core::piece::Piece;
use lorimant_core::rack::cut_plan::picked::{Picked, remaining};
use lorimant_core::rack::stock::booking::{BlanksCut, LotCut};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::length::LengthUnit;
use rusqlite::{Connection, OptionalExtension as _, Transaction};

use super::error::{Result, StoreError};
use super::settings::unit;
use super::shelf::{Edit, Entry, Shelf};
use crate::kept::{Kept as _, KeptChain, KeptPattern, KeptPlan, Pick};
use lorimant_text::text;

/// A pick with what it stands for.
#[derive(Debug, Clone)]
pub(crate) struct PickedEntry {
    /// The pick.
    pub pick: Entry<Pick>,
    /// What it is called and what is made.
    pub picked: Picked,
    /// The plan or pattern in a sentence.
    pub description: String,
}

/// A kept plan, pattern or chain, made so many times.
pub(crate) fn pickable(connection: &Connection, entry: i64, pieces_n: u32) -> Result<(Picked, String)> {
    let sql = "SELECT shelf FROM entries WHERE id = ?1 AND shelf IN ('plan', 'pattern', 'chain')";
    let shelf: Option<String> =
        connection.prepare_cached(sql)?.query_row([entry], |row| row.get(0)).optional()?;
    match shelf.as_deref() {
        Some("plan") => {
            let kept: Entry<KeptPlan> = Shelf::Plans.get(connection, entry)?;
            let (record, piece) = (kept.record.clone(), Piece::Rings(kept.record.request));
            Ok(picked_as(record.name, piece.with_count(pieces_n), unit(connection)?))
        }
        Some("chain") => {
            let kept: Entry<KeptChain> = Shelf::Chains.get(connection, entry)?;
            let (record, piece) = (kept.record.clone(), Piece::Chain(Box::new(kept.record.request)));
            Ok(picked_as(record.name, piece.with_count(pieces_n), unit(connection)?))
        }
        Some(_) => {
            let kept: Entry<KeptPattern> = Shelf::Patterns.get(connection, entry)?;
            let (record, piece) = (kept.record.clone(), Piece::Finding(kept.record.request));
            Ok(picked_as(record.name, piece.with_count(pieces_n), unit(connection)?))
        }
        None => {
            let message = text!("file-picks-there-no-saved-plan-finding", entry);
            Err(StoreError::Refused(Fault::new("entry", message).into()))
        }
    }
}

/// What is picked with its sentence.
fn picked_as(what: String, piece: Piece, unit: LengthUnit) -> (Picked, String) {
    let sentence = piece.sentence(unit);
    (Picked { what, piece }, sentence)
}

/// What is picked, in the order it was picked.
pub(crate) fn picks(connection: &Connection) -> Result<Vec<PickedEntry>> {
    let picks: Vec<Entry<Pick>> = Shelf::Picks.all(connection)?;
    picks
        .into_iter()
        .map(|pick| {
            let (picked, description) = pickable(connection, pick.record.entry, pick.record.pieces_n)?;
            Ok(PickedEntry { pick, picked, description })
        })
        .collect()
}

/// Takes what was cut off the picks it is for; gives how many pieces of them are still to be cut, where any were
/// named.
pub(crate) fn take_off_picks(
    t: &Transaction,
    batch: i64,
    ids: &[i64],
    cuts: &[LotCut],
    workshop: &Workshop,
) -> Result<Option<u64>> {
    if ids.is_empty() {
        return Ok(None);
    }
    let mut picks: Vec<(Entry<Pick>, Picked)> = vec![];
    for id in ids {
        let pick: Entry<Pick> = Shelf::Picks.get(t, *id)?;
        let (picked, _) = pickable(t, pick.record.entry, pick.record.pieces_n)?;
        picks.push((pick, picked));
    }
    let picked: Vec<Picked> = picks.iter().map(|(_, picked)| picked.clone()).collect();
    let blanks: Vec<BlanksCut> = cuts.iter().flat_map(|lot| lot.cuts.iter().cloned()).collect();
    let left = remaining(&picked, &blanks, workshop)?;
    for ((pick, _), left) in picks.iter().zip(&left) {
        let edit = match left {
            0 => Edit::Archive(true),
            left if *left < pick.record.pieces_n => Edit::Replace(Pick { pieces_n: *left, ..pick.record }),
            _ => continue,
        };
        Shelf::Picks.edit(t, batch, pick.id, pick.revision, &edit)?;
    }
    Ok(Some(left.iter().map(|n| u64::from(*n)).sum()))
}

/// Picks a kept plan or pattern; what is picked already becomes so many more of it.
pub(crate) fn pick(t: &Transaction, batch: i64, new: Pick) -> Result<Entry<Pick>> {
    pickable(t, new.entry, new.pieces_n)?;
    let picks: Vec<Entry<Pick>> = Shelf::Picks.all(t)?;
    match picks.into_iter().find(|pick| pick.record.entry == new.entry) {
        Some(there) => {
            let more = Pick { pieces_n: there.record.pieces_n.saturating_add(new.pieces_n), ..new };
            more.check()?;
            Shelf::Picks.edit(t, batch, there.id, there.revision, &Edit::Replace(more))
        }
        None => Shelf::Picks.add(t, batch, &new),
    }
}
