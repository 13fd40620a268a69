//! The whole rack out of the file and into it.

use lorimant_core::fault::Fault;
use lorimant_core::rack::stock::Lot;
use lorimant_core::rack::stock::scrap::ScrapChange;
use lorimant_core::words::length::LengthUnit;
use lorimant_core::words::quoted;
use rusqlite::{Connection, Transaction};

use super::error::{Result, StoreError};
use super::rack::{keep, keepings, receive};
use super::shelf::{Entry, Shelf};
use super::{checks, ledger, picks};
use crate::document::rack::{LotWithLedger, NamedPick, RackDocument};
use crate::kept::{Kept as _, Pick};
use lorimant_text::text;

/// Everything on the rack, to be taken out.
pub(crate) fn document(connection: &Connection) -> Result<RackDocument> {
    let lots: Vec<Entry<Lot>> = Shelf::Lots.all(connection)?;
    let lots = lots.into_iter().map(|entry| {
        Ok(LotWithLedger { ledger: ledger::lines_that_count(connection, entry.id)?, lot: entry.record })
    });
    let scrap = ledger::piles(connection)?.into_iter().map(|(metal, cleanliness, mass_g)| ScrapChange {
        metal,
        cleanliness,
        mass_g,
        note: String::new(),
    });
    let picks = picks::picks(connection)?.into_iter().map(|one| NamedPick {
        description: one.picked.piece.with_count(1).sentence(LengthUnit::Mm),
        name: one.picked.what,
        pieces_n: one.pick.record.pieces_n,
    });
    let keepings = keepings(connection)?.into_iter().map(|entry| entry.record);
    Ok(RackDocument::of(lots.collect::<Result<_>>()?, keepings.collect(), scrap.collect(), picks.collect()))
}

/// Takes one out of a list that is like this; gives whether there was any.
fn take<T: PartialEq>(from: &mut Vec<T>, like: &T) -> bool {
    let found = from.iter().position(|one| one == like);
    found.map(|at| from.swap_remove(at)).is_some()
}

/// Brings a whole document in; gives how many of its lots were here already. A rack with lots is brought in beside what
/// is here: whatever of it is here already, to the last figure, is left alone. A table of keepings or scrap by itself is
/// booked as it stands.
pub(crate) fn bring_in(t: &Transaction, batch: i64, document: &RackDocument) -> Result<usize> {
    let mut here = match document.lots.as_slice() {
        [] => RackDocument::of(vec![], vec![], vec![], vec![]),
        _ => self::document(t)?,
    };
    let mut already = 0;
    for (i, one) in document.lots.iter().enumerate() {
        if take(&mut here.lots, one) {
            already += 1;
            continue;
        }
        receive(t, batch, &one.lot, &one.ledger).map_err(|error| error.within(&format!("lots[{i}]")))?;
    }
    for keeping in document.stock_levels.iter().filter(|keeping| !here.stock_levels.contains(keeping)) {
        keep(t, batch, keeping)?;
    }
    for (i, change) in document.scrap.iter().enumerate() {
        if !take(&mut here.scrap, change) {
            ledger::book_scrap(t, batch, change).map_err(|error| error.within(&format!("scrap[{i}]")))?;
        }
    }
    for (i, one) in document.movements.iter().enumerate() {
        let named = "SELECT id FROM entries WHERE shelf = 'lot' AND archived = 0 AND name = ?1";
        let ids: Vec<i64> = t
            .prepare_cached(named)?
            .query_map([&one.lot], |row| row.get(0))?
            .collect::<rusqlite::Result<_>>()?;
        let [id] = ids.as_slice() else {
            let shown: String = one.lot.chars().take(60).collect();
            let message = match ids.len() {
                0 => text!("file-carried-there-no-lot-in-stock", shown),
                n => text!("file-carried-lots-called-give-them-different", n, shown),
            };
            return Err(StoreError::Refused(Fault::new(format!("movements[{i}].lot"), message).into()));
        };
        ledger::book(t, batch, *id, &one.line)
            .map_err(|error| error.within(&format!("movements[{i}].line")))?;
    }
    for (i, pick) in document.picks.iter().enumerate() {
        if take(&mut here.picks, pick) {
            continue;
        }
        let entry = picked(t, pick).map_err(|error| error.within(&format!("picks[{i}]")))?;
        let pick = Pick { entry, pieces_n: pick.pieces_n };
        pick.check().map_err(StoreError::Refused).map_err(|error| error.within(&format!("picks[{i}]")))?;
        Shelf::Picks.add(t, batch, &pick)?;
    }
    // Lots bring their pull tests.
    if document.lots.iter().any(|one| !one.lot.pulls.is_empty()) {
        checks::relearn_all(t)?;
    }
    Ok(already)
}

/// Which kept plan or pattern a pick names: of several, the one that stands for the same; one that was put away only
/// where none of those in use is called so.
fn picked(t: &Transaction, pick: &NamedPick) -> Result<i64> {
    let sql = "SELECT id, archived FROM entries WHERE shelf IN ('plan', 'pattern', 'chain') AND name = ?1 ORDER BY id";
    let mut statement = t.prepare_cached(sql)?;
    let named = statement.query_map([&pick.name], |row| Ok((row.get(0)?, row.get(1)?)))?;
    let named: Vec<(i64, bool)> = named.collect::<rusqlite::Result<_>>()?;
    let in_use = named.iter().any(|(_, archived)| !archived);
    let mut ids: Vec<i64> =
        named.into_iter().filter(|(_, archived)| *archived != in_use).map(|(id, _)| id).collect();
    if ids.len() > 1 && !pick.description.is_empty() {
        let same = |id: &i64| -> Result<bool> {
            let (piece, _) = picks::pickable(t, *id, 1)?;
            Ok(piece.piece.sentence(LengthUnit::Mm) == pick.description)
        };
        let same: Vec<bool> = ids.iter().map(same).collect::<Result<_>>()?;
        ids = ids.into_iter().zip(same).filter(|(_, same)| *same).map(|(id, _)| id).collect();
    }
    let shown = quoted(&pick.name);
    let message = match ids.as_slice() {
        [id] => return Ok(*id),
        [] => text!("file-carried-there-no-saved-plan-or", shown),
        _ => text!("file-carried-several-saved-pieces-called-give", shown),
    };
    Err(StoreError::Refused(Fault::new("name", message).into()))
}
