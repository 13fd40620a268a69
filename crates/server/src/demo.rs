//! The demo workshop: open files, read by the same import a user would use.

use anyhow::Context as _;
use lorimant_core::ask;
use lorimant_core::bench::{Batch, Event, EventKind};
use lorimant_core::fault::Fault;
use lorimant_core::learn::check::PieceCheck;
use lorimant_core::learn::dimension::CheckedOf;
use lorimant_core::learn::measured::{CaliperReading, ReadFrom};
use lorimant_core::learn::simulated::{SEED, Simulated};
use lorimant_core::making::Changes;
use lorimant_core::order::{Bag, Line, Order};
use lorimant_core::piece::Piece;
use lorimant_core::rack::stock::Lot;
use lorimant_core::wire::lot::LotFactor;
use rusqlite::Transaction;
use serde::Deserialize;

use crate::document::plans::PlanDocument;
use crate::document::rack::RackDocument;
use crate::extract::understand;
use crate::store::shelf::{self, Entry, Shelf};
use crate::store::{
    Store, StoreError, batch, bench, carried, checks, keep_settings, pieces, read_workshop, settings,
};

const WORKSHOP: &str = include_str!("../../../demo/workshop.json");
const RACK: &str = include_str!("../../../demo/rack.json");
const CHECKS: &str = include_str!("../../../demo/checks.json");
const ORDERS: &str = include_str!("../../../demo/orders.json");

/// What is ordered in the demo, and what lies in bags there: pieces by the names they are kept under.
#[derive(Deserialize)]
#[serde(deny_unknown_fields)]
struct DemoOrders {
    orders: Vec<DemoOrder>,
    bags: Vec<DemoBag>,
    batches: Vec<DemoBatch>,
}

/// A batch that is under way in the demo.
#[derive(Deserialize)]
#[serde(deny_unknown_fields)]
struct DemoBatch {
    of: String,
    pieces_n: u32,
    #[serde(default)]
    changes: Changes,
    /// How many of its steps are done for all pieces.
    steps_done: usize,
    /// How many pieces of the next are done.
    #[serde(default)]
    then: u32,
    /// For how long the next has been running by itself, minutes.
    #[serde(default)]
    runs_minutes: i64,
    begun_minutes_ago: i64,
}

#[derive(Deserialize)]
#[serde(deny_unknown_fields)]
struct DemoOrder {
    customer: String,
    /// Days from the day the demo is loaded, so that it is never stale.
    due_in_days: Option<i32>,
    lines: Vec<DemoLine>,
}

#[derive(Deserialize)]
#[serde(deny_unknown_fields)]
struct DemoLine {
    of: String,
    pieces_n: u32,
    #[serde(default)]
    spares_percent: f64,
}

#[derive(Deserialize)]
#[serde(deny_unknown_fields)]
struct DemoBag {
    of: String,
    pieces_n: u32,
    place: String,
    filled_days_ago: i32,
}

/// What was measured in the demo, by the simulated caliper.
#[derive(Deserialize)]
#[serde(deny_unknown_fields)]
struct DemoCheck {
    name: String,
    /// The kept piece; or what is asked for.
    #[serde(default)]
    of: String,
    #[serde(default)]
    asked: String,
    /// The lot its wire is off.
    #[serde(default)]
    lot: String,
    measures: CheckedOf,
    pieces_n: u32,
    /// The dimensions that were read.
    read: Vec<String>,
}

/// Loads the demo workshop into a new file.
///
/// # Errors
/// When the file cannot be written.
pub fn load(store: &Store) -> anyhow::Result<()> {
    let document: PlanDocument =
        understand(WORKSHOP.as_bytes()).map_err(|problem| anyhow::anyhow!("demo: {}", problem.detail))?;
    let stock: RackDocument =
        understand(RACK.as_bytes()).map_err(|problem| anyhow::anyhow!("demo: {}", problem.detail))?;
    stock.check().context("the demo rack is not sound")?;
    let orders: DemoOrders = serde_json::from_str(ORDERS).context("the demo orders cannot be read")?;
    let checks: Vec<DemoCheck> = serde_json::from_str(CHECKS).context("the demo checks cannot be read")?;
    let loaded = store.write(|transaction| {
        let batch = batch::next(transaction)?;
        if let Some(new) = &document.settings {
            let (_, revision) = settings(transaction)?;
            keep_settings(transaction, new, revision)?;
        }
        shelf::bring_in(transaction, batch, &document)?;
        carried::bring_in(transaction, batch, &stock)?;
        let under_way = bring_orders(transaction, batch, orders)?;
        bring_batches(transaction, batch, under_way)?;
        bring_checks(transaction, batch, checks)
    });
    loaded.map(|_| ()).context("the demo workshop could not be loaded")
}

/// Keeps orders and bags of pieces that are kept already.
fn bring_orders(t: &Transaction, undo: i64, of: DemoOrders) -> Result<Vec<DemoBatch>, StoreError> {
    let today = jiff::Timestamp::now().to_zoned_datetime(jiff::tz::TimeZone::system()).date();
    let kept = |name: &str, n: u32| -> Result<Piece, StoreError> {
        let found = pieces::named(t, name, None)?.into_iter().next();
        let missing = || Fault::new("of", format!("the demo keeps no {name}"));
        Ok(found.ok_or_else(|| StoreError::Refused(missing().into()))?.piece.with_count(n))
    };
    for order in of.orders {
        let line = |line: DemoLine| -> Result<Line, StoreError> {
            let piece = kept(&line.of, line.pieces_n)?;
            Ok(Line { name: line.of, piece, spares_percent: line.spares_percent, handed_n: 0 })
        };
        let lines = order.lines.into_iter().map(line).collect::<Result<_, _>>()?;
        let due = order.due_in_days.map(|days| today.saturating_add(jiff::Span::new().days(days)));
        let order = Order { customer: order.customer, due, note: String::new(), lines };
        Shelf::Orders.add(t, undo, &order)?;
    }
    for bag in of.bags {
        let piece = kept(&bag.of, bag.pieces_n)?;
        let bag = Bag {
            changes: piece.changes().clone(),
            name: bag.of,
            piece,
            methods: None,
            workshop: None,
            batch: None,
            filled_on: today.saturating_sub(jiff::Span::new().days(bag.filled_days_ago)),
            place: bag.place,
            n: bag.pieces_n,
            note: String::new(),
        };
        Shelf::Bags.add(t, undo, &bag)?;
    }
    Ok(of.batches)
}

/// Leads batches as far as they are, one press after another, as a maker would have.
fn bring_batches(t: &Transaction, undo: i64, of: Vec<DemoBatch>) -> Result<(), StoreError> {
    let workshop = read_workshop(t)?;
    let now = jiff::Timestamp::now();
    let ago = |minutes: i64| now.saturating_sub(jiff::SignedDuration::from_mins(minutes)).unwrap_or(now);
    for demo in of {
        let found = pieces::named(t, &demo.of, None)?.into_iter().next();
        let missing =
            || StoreError::Refused(Fault::new("of", format!("the demo keeps no {}", demo.of)).into());
        let piece = found.ok_or_else(missing)?.piece;
        let batch = Batch { changes: demo.changes, ..Batch::of(&demo.of, piece, demo.pieces_n) };
        let id = Shelf::Batches.add(t, undo, &batch)?.id;
        let tasks = batch.tasks(&workshop).map_err(StoreError::Refused)?;
        let steps = i64::try_from(tasks.len()).unwrap_or(1);
        let spread = (demo.begun_minutes_ago - demo.runs_minutes) / steps;
        for (i, task) in tasks.iter().enumerate().take(demo.steps_done + 1) {
            let (all, next) = (i < demo.steps_done, i == demo.steps_done);
            let (kind, n) = match (all, demo.runs_minutes > 0) {
                (true, _) => (EventKind::Done, task.n),
                (false, true) => (EventKind::Started, 1),
                (false, false) => (EventKind::Done, demo.then),
            };
            let minutes = if next && demo.runs_minutes > 0 {
                demo.runs_minutes
            } else {
                demo.begun_minutes_ago - spread * i64::try_from(i).unwrap_or(0)
            };
            let event = Event {
                key: format!("demo-{id}-{i}"),
                step_n: task.step.step_n.try_into().unwrap_or(1),
                kind,
                n,
                reason: String::new(),
                at: ago(minutes),
            };
            if n > 0 {
                bench::happen(t, id, &event, None, &workshop)?;
            }
        }
    }
    Ok(())
}

/// Measures what the demo has measured, as the simulated caliper shows it.
fn bring_checks(t: &Transaction, undo: i64, of: Vec<DemoCheck>) -> Result<(), StoreError> {
    let workshop = read_workshop(t)?;
    let lots: Vec<Entry<Lot>> = Shelf::Lots.all(t)?;
    for check in of {
        let missing =
            || StoreError::Refused(Fault::new("of", format!("the demo has no {}", check.of)).into());
        let piece = match pieces::named(t, &check.of, None)?.into_iter().next() {
            Some(kept) => kept.piece,
            None => {
                let asked = ask::answer(&check.asked, &workshop, &Vec::new).request;
                Piece::Rings(asked.ok_or_else(missing)?)
            }
        };
        let lot = lots.iter().find(|lot| lot.name == check.lot);
        let piece = piece.with_wires(|wire| wire.lot = lot.map(|lot| LotFactor::unmeasured(lot.id)));
        let record = PieceCheck {
            name: check.name,
            piece,
            of: check.measures,
            pieces_n: check.pieces_n,
            keys: vec![],
            batch: None,
            pattern: None,
            off_spool_mm: None,
            trial: None,
            drill: None,
        };
        let entry = Shelf::Checks.add(t, undo, &record)?;
        let simulated = Simulated { seed: SEED, hand: workshop.hand };
        for piece_n in 1..=check.pieces_n {
            for key in &check.read {
                let times_n = if key.contains("inside") || key.contains("loop") { 3 } else { 1 };
                for nth in 0..times_n {
                    let own = simulated.own(entry.id, piece_n);
                    let Some(value) = simulated.shows(&record, own, key, nth, &workshop) else { continue };
                    let reading = CaliperReading {
                        reading_n: 0,
                        piece_n,
                        key: key.clone(),
                        value,
                        from: ReadFrom::Simulated,
                        at: String::new(),
                        excluded: false,
                    };
                    checks::keep(
                        t,
                        entry.id,
                        &format!("demo-{}-{piece_n}-{key}-{nth}", entry.id),
                        &reading,
                        true,
                        &workshop,
                    )?;
                }
            }
        }
    }
    Ok(())
}
