//! The whole rack out of the file and into it.

use lorimant_core::fault::Fault;
use lorimant_core::rack::stock::Lot;
use lorimant_core::rack::stock::scrap::ScrapChange;
use rusqlite::{Connection, OptionalExtension as _, Transaction};

use super::error::{Result, StoreError};
use super::rack::{keep, keepings, receive};
use super::shelf::{Entry, Shelf};
use super::{ledger, picks};
use crate::document::rack::{LotWithLedger, NamedPick, RackDocument};
use crate::kept::{Kept as _, Pick};

/// Everything on the rack, to be taken out.
pub(crate) fn document(connection: &Connection) -> Result<RackDocument> {
    let lots: Vec<Entry<Lot>> = Shelf::Lots.all(connection)?;
    let lots = lots.into_iter().map(|entry| {
        Ok(LotWithLedger { ledger: ledger::standing_lines(connection, entry.id)?, lot: entry.record })
    });
    let scrap = ledger::piles(connection)?.into_iter().map(|(metal, cleanliness, mass_g)| ScrapChange {
        metal,
        cleanliness,
        mass_g,
        note: String::new(),
    });
    let picks = picks::picks(connection)?
        .into_iter()
        .map(|one| NamedPick { name: one.picked.what, pieces_n: one.pick.record.pieces_n });
    let keepings = keepings(connection)?.into_iter().map(|entry| entry.record);
    Ok(RackDocument::of(lots.collect::<Result<_>>()?, keepings.collect(), scrap.collect(), picks.collect()))
}

/// Brings a whole document in.
pub(crate) fn bring_in(t: &Transaction, batch: i64, document: &RackDocument) -> Result<()> {
    for (i, one) in document.lots.iter().enumerate() {
        receive(t, batch, &one.lot, &one.ledger).map_err(|error| error.within(&format!("lots[{i}]")))?;
    }
    for keeping in &document.keepings {
        keep(t, batch, keeping)?;
    }
    for (i, change) in document.scrap.iter().enumerate() {
        ledger::book_scrap(t, batch, change).map_err(|error| error.within(&format!("scrap[{i}]")))?;
    }
    for (i, one) in document.movements.iter().enumerate() {
        let named = "SELECT id FROM entries WHERE shelf = 'lot' AND archived = 0 AND name = ?1";
        let ids: Vec<i64> = t
            .prepare_cached(named)?
            .query_map([&one.lot], |row| row.get(0))?
            .collect::<rusqlite::Result<_>>()?;
        let [id] = ids.as_slice() else {
            let shown: String = one.lot.chars().take(60).collect();
            let said = match ids.len() {
                0 => format!("There is no lot “{shown}” on the rack."),
                n => format!("{n} lots are called “{shown}”: give them different names first."),
            };
            return Err(StoreError::Refused(Fault::new(format!("movements[{i}].lot"), said).into()));
        };
        ledger::book(t, batch, *id, &one.line)
            .map_err(|error| error.within(&format!("movements[{i}].line")))?;
    }
    for (i, pick) in document.picks.iter().enumerate() {
        let sql = "SELECT id FROM entries WHERE shelf IN ('plan', 'pattern') AND archived = 0 AND name = ?1 \
                   ORDER BY updated_at DESC";
        let entry = t.query_row(sql, [&pick.name], |row| row.get(0)).optional()?.ok_or_else(|| {
            let shown: String = pick.name.chars().take(80).collect();
            let said = format!("There is no kept plan or pattern “{shown}” to pick.");
            StoreError::Refused(Fault::new(format!("picks[{i}].name"), said).into())
        })?;
        let pick = Pick { entry, pieces_n: pick.pieces_n };
        pick.check().map_err(StoreError::Refused).map_err(|error| error.within(&format!("picks[{i}]")))?;
        Shelf::Picks.add(t, batch, &pick)?;
    }
    Ok(())
}
