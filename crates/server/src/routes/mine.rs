//! What the ask line says of the workshop itself: batches, orders, stock, and when something can be ready.

use lorimant_core::ask::mine::{Mine, Spool, enough_told, stock_told};
use lorimant_core::ask::{Answer, piece};
use lorimant_core::bench::Batch;
use lorimant_core::order::{Bag, Line, Order};
use lorimant_core::piece::Piece;
use lorimant_core::rack::stock::Lot;
use serde::Serialize;
use utoipa::ToSchema;

use super::ask::with_kept;
use super::orders::promise_of;
use super::{aside, read};
use crate::problem::Problem;
use crate::state::State;
use crate::store::rack::{self, Stocked};
use crate::store::shelf::{Entry, Shelf};
use lorimant_text::text;

/// Something of the workshop that a line speaks of.
#[derive(Serialize, ToSchema)]
pub(super) struct Found {
    /// What it is called.
    label: String,
    /// Where it is, as a path of the front end.
    path: String,
}

/// Answers what is asked of the workshop.
pub(super) async fn answer(state: &State, mine: Mine) -> Result<(Answer, Vec<Found>), Problem> {
    match mine {
        Mine::Batch(n) => {
            let batch = read(state, move |c| Ok(Shelf::Batches.get::<Batch>(c, n).ok())).await?;
            Ok(one(batch, n, text!("api-mine-kind-batch"), &format!("/bench/{n}")))
        }
        Mine::Bag(n) => {
            let bag = read(state, move |c| Ok(Shelf::Bags.get::<Bag>(c, n).ok())).await?;
            Ok(one(bag, n, text!("api-mine-kind-bag"), &format!("/bag/{n}")))
        }
        Mine::Lot(n) => {
            let lot = read(state, move |c| Ok(Shelf::Lots.get::<Lot>(c, n).ok())).await?;
            Ok(one(lot, n, text!("api-mine-kind-lot"), &format!("/wire?lot={n}")))
        }
        Mine::Order(n) => {
            let order = read(state, move |c| Ok(Shelf::Orders.get::<Order>(c, n).ok())).await?;
            Ok(one(order, n, text!("api-mine-kind-order"), &format!("/orders?order={n}")))
        }
        Mine::OrdersFor(name) => orders_for(state, &name).await,
        Mine::Stock(words) => {
            let told = stock_told(&words, &spools(state).await?, &state.store.workshop());
            Ok((headed(told), at(text!("api-mine-wire-stock"), "/wire")))
        }
        Mine::Enough(words) => enough(state, words).await,
        Mine::ReadyWhen(words) => ready_when(state, words).await,
    }
}

/// Most things of one kind that a name leads to.
const MOST_CALLED: u32 = 3;
/// Most things a name leads to in all.
const MOST_FOUND: usize = 6;

/// What is called so: saved pieces, orders by their customer, batches, bags and wire.
pub(super) async fn called(state: &State, words: String) -> Result<Vec<Found>, Problem> {
    let shelves = [
        (Shelf::Patterns, text!("api-mine-kind-finding"), "/findings/piece?saved="),
        (Shelf::Plans, text!("api-mine-kind-rings"), "/rings?saved="),
        (Shelf::Chains, text!("api-mine-kind-chain"), "/chains?saved="),
        (Shelf::Orders, text!("api-mine-kind-order"), "/orders?order="),
        (Shelf::Batches, text!("api-mine-kind-batch"), "/bench/"),
        (Shelf::Bags, text!("api-mine-kind-bag"), "/bag/"),
        (Shelf::Lots, text!("api-mine-kind-wire"), "/wire?lot="),
    ];
    read(state, move |connection| {
        let mut found = vec![];
        for (shelf, kind, path) in shelves {
            let all = shelf.called(connection, &words, MOST_CALLED)?;
            found.extend(all.into_iter().map(|(id, name)| Found {
                label: text!("api-mine-called", kind, name),
                path: format!("{path}{id}"),
            }));
        }
        found.truncate(MOST_FOUND);
        Ok(found)
    })
    .await
}

fn headed(headline: String) -> Answer {
    Answer { headline, ..Answer::default() }
}

fn one<T>(entry: Option<Entry<T>>, n: i64, noun: &str, path: &str) -> (Answer, Vec<Found>) {
    match entry {
        Some(entry) => {
            let closed = if entry.archived { text!("api-mine-closed") } else { "" };
            let headline = format!("{}{closed}: {}", entry.name, entry.description);
            (headed(headline), at(&entry.name, path))
        }
        None => (headed(text!("api-mine-there-no-number", noun, n)), vec![]),
    }
}

async fn orders_for(state: &State, name: &str) -> Result<(Answer, Vec<Found>), Problem> {
    let all: Vec<Entry<Order>> = read(state, |c| Shelf::Orders.all(c)).await?;
    let own: Vec<&Entry<Order>> =
        all.iter().filter(|entry| entry.record.customer.to_lowercase().contains(name)).collect();
    if own.is_empty() {
        return Ok((headed(text!("api-mine-no-open-order-for", name)), vec![]));
    }
    let each: Vec<String> =
        own.iter().map(|entry| format!("{}: {}", entry.name, entry.description)).collect();
    Ok((headed(each.join(" ")), at(text!("api-mine-orders"), "/orders")))
}

/// All wire that is there.
async fn spools(state: &State) -> Result<Vec<Spool>, Problem> {
    let lots = read(state, rack::in_stock).await?;
    let spool = |lot: Stocked| {
        let wire = lot.entry.record.covered_wire();
        Spool { name: lot.entry.name, wire, left_mm: lot.balance.left_mm }
    };
    Ok(lots.into_iter().map(spool).collect())
}

fn at(label: &str, path: &str) -> Vec<Found> {
    vec![Found { label: label.to_owned(), path: path.to_owned() }]
}

/// The piece some words name, as the ask line reads it; what is not understood of them is the answer.
async fn piece_of(state: &State, words: String) -> Result<Result<(Piece, Vec<String>), Answer>, Problem> {
    let store = state.store.clone();
    let read = aside(move || with_kept(&store, |workshop, kept| piece(&words, workshop, kept))).await??;
    Ok(read.map_err(|faults| Answer { faults: faults.0, ..Answer::default() }))
}

async fn enough(state: &State, words: String) -> Result<(Answer, Vec<Found>), Problem> {
    let (piece, assumed) = match piece_of(state, words).await? {
        Ok(read) => read,
        Err(answer) => return Ok((answer, vec![])),
    };
    let (there, workshop) = (spools(state).await?, state.store.workshop());
    let headline = aside(move || enough_told(&piece, &there, &workshop)).await??;
    Ok((
        Answer { headline, assumed, ..Answer::default() },
        at(text!("api-mine-cutting-plan"), "/wire/cutting-plan"),
    ))
}

async fn ready_when(state: &State, words: String) -> Result<(Answer, Vec<Found>), Problem> {
    let (piece, assumed) = match piece_of(state, words).await? {
        Ok(read) => read,
        Err(answer) => return Ok((answer, vec![])),
    };
    let what = piece.counted_as(piece.count());
    let line = Line { name: piece.called().to_owned(), piece, spares_percent: 0.0, handed_n: 0 };
    let order = Order { customer: String::new(), due: None, note: String::new(), lines: vec![line] };
    let headline = format!("{what}: {}", promise_of(state, order).await?.text);
    Ok((
        Answer { headline, assumed, ..Answer::default() },
        at(text!("api-mine-schedule"), "/orders/schedule"),
    ))
}
