//! Orders, bags, and what of them is still to be made.

use jiff::civil::Date;
use lorimant_core::bench::Batch;
use lorimant_core::bench::pass::Led as PassLed;
use lorimant_core::bench::schedule::agenda::{JobOf, ScheduleChange, Unmet, Wanted};
use lorimant_core::bench::times::Times;
use lorimant_core::fault::Fault;
use lorimant_core::making::Changes;
use lorimant_core::order::bag::Counting;
use lorimant_core::order::{
    Bag, BatchOnItsWay, Covered, LineProgress, Order, WireShort, check_set_aside, cover, orders_of, short_of,
    to_begin,
};
use lorimant_core::piece::Piece;
use lorimant_core::rack::cut_plan::picked::Picked;
use lorimant_core::tool::workshop::Workshop;
use rusqlite::{Connection, Transaction};

use super::bench::{self, Led};
use super::error::{Result, StoreError};
use super::picks;
use super::pieces::{self, Which};
use super::rack;
use super::shelf::{Edit, Entry, Shelf, Wanted as Part};
use lorimant_text::text;

/// Batches on their way that can be led as the workshop is now, in the order they were begun.
pub(crate) fn on_their_way(connection: &Connection, workshop: &Workshop) -> Result<Vec<Led>> {
    let all: Vec<Entry<Batch>> = Shelf::Batches.all(connection)?;
    let mut led = vec![];
    for entry in all {
        match bench::led(connection, entry.id, workshop) {
            Ok(one) => led.push(one),
            Err(StoreError::Refused(_)) => {}
            Err(error) => return Err(error),
        }
    }
    Ok(led)
}

/// What is ordered, with how far each line is; and what is on its way.
pub(crate) struct Open {
    /// Orders that are not put away, with their lines.
    pub orders: Vec<(Entry<Order>, Vec<LineProgress>)>,
    /// Batches on their way.
    pub led: Vec<Led>,
}

/// Everything that is open.
pub(crate) fn open(connection: &Connection, workshop: &Workshop) -> Result<Open> {
    open_with(connection, None, workshop)
}

/// Everything that is open, and an order that is being typed, as number 0.
fn open_with(connection: &Connection, typed: Option<&Order>, workshop: &Workshop) -> Result<Open> {
    let mut orders: Vec<Entry<Order>> = Shelf::Orders.all(connection)?;
    orders.extend(typed.map(|order| Entry::unkept(order.clone())));
    let bags: Vec<Entry<Bag>> = Shelf::Bags.all(connection)?;
    let led = on_their_way(connection, workshop)?;
    let bags: Vec<&Bag> = bags.iter().map(|entry| &entry.record).collect();
    let batches: Vec<BatchOnItsWay> = led
        .iter()
        .map(|led| BatchOnItsWay { batch: &led.entry.record, n: led.entry.record.whole(&led.progress).0 })
        .collect();
    let records: Vec<&Order> = orders.iter().map(|entry| &entry.record).collect();
    let progress = cover(&records, &bags, &batches, workshop);
    Ok(Open { orders: orders.into_iter().zip(progress).collect(), led })
}

/// What the planner is given: batches on their way, then lines of orders that are not begun, an order that is being typed
/// among them; and what cannot be made as the workshop is now.
pub(crate) fn wanted(
    connection: &Connection,
    typed: Option<&Order>,
    workshop: &Workshop,
) -> Result<(Vec<Wanted>, Vec<Unmet>)> {
    let Open { orders, led } = open_with(connection, typed, workshop)?;
    let covered: Vec<Covered> =
        orders.iter().map(|(entry, lines)| Covered { id: entry.id, order: &entry.record, lines }).collect();
    let mut all: Vec<Wanted> = vec![];
    for Led { entry, tasks, progress } in led {
        let of = orders_of(&entry.record, &covered, workshop);
        let (due, orders) =
            (of.iter().filter_map(|of| of.order.due).min(), of.iter().map(|of| of.id).collect());
        all.push(Wanted { of: JobOf::Batch(entry.id), batch: entry.record, tasks, progress, due, orders });
    }
    let (lines, cannot) = to_begin(&covered, workshop);
    all.extend(lines);
    Ok((all, cannot))
}

/// What is still to be cut for batches and lines of orders.
pub(crate) fn demand(connection: &Connection, workshop: &Workshop) -> Result<Vec<Picked>> {
    let (wanted, _) = wanted(connection, None, workshop)?;
    Ok(wanted.iter().filter_map(Wanted::to_cut).collect())
}

/// What wire is missing for open orders.
pub(crate) fn short_of_wire(connection: &Connection, workshop: &Workshop) -> Result<Vec<WireShort>> {
    let (wanted, _) = wanted(connection, None, workshop)?;
    Ok(short_of(&wanted, &rack::wire_in_stock(connection)?, workshop))
}

/// Everything that is to be cut: what is picked, then what batches and orders want.
pub(crate) fn to_be_cut(connection: &Connection, workshop: &Workshop) -> Result<Vec<Picked>> {
    let mut all: Vec<Picked> = picks::picks(connection)?.into_iter().map(|one| one.picked).collect();
    all.extend(demand(connection, workshop)?);
    Ok(all)
}

/// The workshop's own pace: what batches on their way and the last thirty put away took.
pub(crate) fn times(connection: &Connection, workshop: &Workshop) -> Result<Times> {
    let mut led = on_their_way(connection, workshop)?;
    let part = Part { archived: true, most: 30, ..Part::default() };
    for entry in Shelf::Batches.page::<Batch>(connection, &part)?.entries {
        if let Ok(one) = bench::led(connection, entry.id, workshop) {
            led.push(one);
        }
    }
    Ok(Times::of(led.iter().map(|led| (led.tasks.as_slice(), &led.progress))))
}

/// What is held by hand.
pub(crate) fn holds(connection: &Connection) -> Result<Vec<Entry<ScheduleChange>>> {
    Shelf::Holds.all(connection)
}

/// Changes how a batch is made, as long as nothing of it is.
pub(crate) fn remake(
    t: &Transaction,
    undo: i64,
    (id, revision): (i64, i64),
    changes: Changes,
    workshop: &Workshop,
) -> Result<Entry<Batch>> {
    let entry: Entry<Batch> = Shelf::Batches.get(t, id)?;
    if bench::is_begun(t, id)? {
        let message = text!("file-orders-this-batch-has-been-started");
        return Err(StoreError::Refused(Fault::new("changes", message).into()));
    }
    let piece = entry.record.piece.changed(changes);
    let batch = Batch { piece, changes: Changes::default(), ..entry.record };
    batch.tasks(workshop).map_err(StoreError::Refused)?;
    Shelf::Batches.edit(t, undo, id, revision, &Edit::Replace(batch))
}

/// Recipes a single piece is held against: those in bags, then those that are kept.
pub(crate) fn recipes(connection: &Connection) -> Result<Vec<Recipe>> {
    let bags: Vec<Entry<Bag>> = Shelf::Bags.all(connection)?;
    let mut all: Vec<Recipe> = bags
        .into_iter()
        .map(|one| Recipe { bag: Some(one.id), entry: None, name: one.record.name, piece: one.record.piece })
        .collect();
    let part = Part { most: 2000, ..Part::default() };
    let kept = pieces::pieces(connection, Which::All, &part)?.entries;
    all.extend(kept.into_iter().map(|one| Recipe {
        bag: None,
        entry: Some(one.id),
        name: one.name,
        piece: one.piece,
    }));
    Ok(all)
}

/// A recipe in a bag, or a kept one.
pub(crate) struct Recipe {
    /// Number of the bag.
    pub bag: Option<i64>,
    /// Number it is kept under.
    pub entry: Option<i64>,
    /// What it is called.
    pub name: String,
    /// The piece.
    pub piece: Piece,
}

/// As a pass takes it.
pub(crate) fn for_passes(led: &[Led]) -> Vec<PassLed<'_>> {
    led.iter()
        .map(|led| PassLed { batch: &led.entry.record, tasks: &led.tasks, progress: &led.progress })
        .collect()
}

/// What is handed over of a line.
#[derive(Clone, Copy)]
pub(crate) struct Handing {
    /// The line, from 0.
    pub line: usize,
    /// How many.
    pub n: u32,
    /// Whether what is set aside for orders before it may go as well.
    pub even_if_set_aside: bool,
}

/// Hands over so many of a line: out of its bags, and off what is owed.
pub(crate) fn hand_over(
    t: &Transaction,
    undo: i64,
    (id, revision): (i64, i64),
    of: Handing,
    workshop: &Workshop,
) -> Result<Entry<Order>> {
    let order: Entry<Order> = Shelf::Orders.get(t, id)?;
    let bags: Vec<Entry<Bag>> = Shelf::Bags.all(t)?;
    let in_them: Vec<&Bag> = bags.iter().map(|entry| &entry.record).collect();
    let handed = order
        .record
        .hand_over(of.line, of.n, &in_them, workshop)
        .map_err(|fault| StoreError::Refused(fault.into()))?;
    let (after, taken) = handed;
    if !of.even_if_set_aside {
        let open = open(t, workshop)?.orders;
        let all: Vec<(&Order, &[LineProgress])> =
            open.iter().map(|(entry, lines)| (&entry.record, lines.as_slice())).collect();
        let at = open.iter().position(|(entry, _)| entry.id == id).unwrap_or(open.len());
        check_set_aside(&all, (at, of.line), of.n, workshop)
            .map_err(|fault| StoreError::Refused(fault.into()))?;
    }
    for (at, bag) in taken {
        let entry = &bags[at];
        Shelf::Bags.edit(t, undo, entry.id, entry.revision, &Edit::Replace(bag))?;
    }
    Shelf::Orders.edit(t, undo, id, revision, &Edit::Replace(after))
}

/// Hands over everything of an order that is in bags, line by line.
pub(crate) fn hand_over_all(
    t: &Transaction,
    undo: i64,
    (id, revision): (i64, i64),
    workshop: &Workshop,
) -> Result<Entry<Order>> {
    let open = open(t, workshop)?;
    let lines = open.orders.into_iter().find(|(entry, _)| entry.id == id).map(|(_, lines)| lines);
    let in_bags = lines.into_iter().flatten().map(|line| line.in_bags_n).enumerate().filter(|(_, n)| *n > 0);
    let mut handed: Option<Entry<Order>> = None;
    for (line, n) in in_bags {
        let from = handed.as_ref().map_or(revision, |entry| entry.revision);
        // Each line has what was set aside for it, worked out before the first was handed over.
        let of = Handing { line, n, even_if_set_aside: true };
        handed = Some(hand_over(t, undo, (id, from), of, workshop)?);
    }
    handed.ok_or_else(|| {
        let message = text!("file-orders-nothing-of-it-in-bags");
        StoreError::Refused(Fault::new("id", message).into())
    })
}

/// Notes something about a batch.
pub(crate) fn note(
    t: &Transaction,
    undo: i64,
    (id, revision): (i64, i64),
    note: String,
) -> Result<Entry<Batch>> {
    let entry: Entry<Batch> = Shelf::Batches.get(t, id)?;
    let batch = Batch { note, ..entry.record };
    batch.check().map_err(StoreError::Refused)?;
    Shelf::Batches.edit(t, undo, id, revision, &Edit::Replace(batch))
}

/// Fills a bag with what came of a batch, and puts the batch away.
pub(crate) fn fill_bag(
    t: &Transaction,
    undo: i64,
    id: i64,
    (filled_on, place): (Date, &str),
    workshop: &Workshop,
) -> Result<Entry<Bag>> {
    let led = bench::led(t, id, workshop)?;
    if led.entry.archived {
        let message = text!("file-orders-this-batch-closed-reopen-first");
        return Err(StoreError::Refused(Fault::new("batch", message).into()));
    }
    let bag = Bag::of(&led.entry.record, id, &led.progress, filled_on, place.trim());
    let bag = bag.map_err(|fault| StoreError::Refused(fault.into()))?;
    bag.check().map_err(StoreError::Refused)?;
    let entry = Shelf::Bags.add(t, undo, &bag)?;
    Shelf::Batches.edit::<Batch>(t, undo, id, led.entry.revision, &Edit::Archive(true))?;
    Ok(entry)
}

/// Changes the count of a bag.
pub(crate) fn count(
    t: &Transaction,
    undo: i64,
    (id, revision): (i64, i64),
    counting: Counting,
    n: u32,
) -> Result<Entry<Bag>> {
    let entry: Entry<Bag> = Shelf::Bags.get(t, id)?;
    let bag = entry.record.counted(counting, n).map_err(|fault| StoreError::Refused(fault.into()))?;
    Shelf::Bags.edit(t, undo, id, revision, &Edit::Replace(bag))
}
