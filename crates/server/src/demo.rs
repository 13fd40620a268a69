//! The demo workshop: open files, read by the same import a user would use.

use anyhow::Context as _;
use lorimant_core::fault::Fault;
use lorimant_core::order::{Bag, Line, Order};
use lorimant_core::piece::Piece;
use rusqlite::Transaction;
use serde::Deserialize;

use crate::document::plans::PlanDocument;
use crate::document::rack::RackDocument;
use crate::extract::understand;
use crate::store::shelf::{self, Shelf};
use crate::store::{Store, StoreError, batch, carried, keep_settings, pieces, settings};

const WORKSHOP: &str = include_str!("../../../demo/workshop.json");
const RACK: &str = include_str!("../../../demo/rack.json");
const ORDERS: &str = include_str!("../../../demo/orders.json");

/// What is ordered in the demo, and what lies in bags there: pieces by the names they are kept under.
#[derive(Deserialize)]
#[serde(deny_unknown_fields)]
struct DemoOrders {
    orders: Vec<DemoOrder>,
    bags: Vec<DemoBag>,
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
    let loaded = store.write(|transaction| {
        let batch = batch::next(transaction)?;
        if let Some(new) = &document.settings {
            let (_, revision) = settings(transaction)?;
            keep_settings(transaction, new, revision)?;
        }
        shelf::bring_in(transaction, batch, &document)?;
        carried::bring_in(transaction, batch, &stock)?;
        bring_orders(transaction, batch, orders)
    });
    loaded.map(|_| ()).context("the demo workshop could not be loaded")
}

/// Keeps orders and bags of pieces that are kept already.
fn bring_orders(t: &Transaction, undo: i64, of: DemoOrders) -> Result<(), StoreError> {
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
            schools: None,
            batch: None,
            filled_on: today.saturating_sub(jiff::Span::new().days(bag.filled_days_ago)),
            place: bag.place,
            n: bag.pieces_n,
            note: String::new(),
        };
        Shelf::Bags.add(t, undo, &bag)?;
    }
    Ok(())
}
