//! What the ask line says of the workshop itself: batches, orders, stock, and when something can be ready.

use lorimant_core::ask::mine::Mine;
use lorimant_core::ask::{Answer, piece};
use lorimant_core::bench::Batch;
use lorimant_core::order::{Line, Order};
use lorimant_core::piece::Piece;
use lorimant_core::rack::stock::Lot;
use lorimant_core::reading::field::wire_in;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::words::counted;
use lorimant_core::words::scale::of_wire;
use serde::Serialize;
use utoipa::ToSchema;

use super::ask::kept_pieces;
use super::orders::when_ready;
use super::read;
use crate::problem::Problem;
use crate::state::State;
use crate::store::rack::{self, Stocked};
use crate::store::shelf::{Entry, Shelf};

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
            Ok(one(batch, n, "batch", "/bench"))
        }
        Mine::Lot(n) => {
            let lot = read(state, move |c| Ok(Shelf::Lots.get::<Lot>(c, n).ok())).await?;
            let (answer, mut found) = one(lot, n, "lot", "/rack");
            found.iter_mut().for_each(|found| found.path = format!("/rack?lot={n}"));
            Ok((answer, found))
        }
        Mine::Order(n) => {
            let order = read(state, move |c| Ok(Shelf::Orders.get::<Order>(c, n).ok())).await?;
            let (answer, mut found) = one(order, n, "order", "/orders");
            found.iter_mut().for_each(|found| found.path = "/orders".to_owned());
            Ok((answer, found))
        }
        Mine::OrdersFor(name) => orders_for(state, &name).await,
        Mine::Stock(words) => stock(state, &words).await,
        Mine::Enough(words) => enough(state, words).await,
        Mine::ReadyWhen(words) => ready_when(state, words).await,
    }
}

fn said(headline: String) -> Answer {
    Answer { headline, ..Answer::default() }
}

fn one<T>(entry: Option<Entry<T>>, n: i64, noun: &str, path: &str) -> (Answer, Vec<Found>) {
    match entry {
        Some(entry) => {
            let closed = if entry.archived { ", closed" } else { "" };
            let headline = format!("{}{closed}: {}", entry.name, entry.sentence);
            (said(headline), vec![Found { label: entry.name, path: format!("{path}/{n}") }])
        }
        None => (said(format!("There is no {noun} number {n}.")), vec![]),
    }
}

async fn orders_for(state: &State, name: &str) -> Result<(Answer, Vec<Found>), Problem> {
    let all: Vec<Entry<Order>> = read(state, |c| Shelf::Orders.all(c)).await?;
    let own: Vec<&Entry<Order>> =
        all.iter().filter(|entry| entry.record.customer.to_lowercase().contains(name)).collect();
    if own.is_empty() {
        return Ok((said(format!("No open order is for “{name}”.")), vec![]));
    }
    let each: Vec<String> = own.iter().map(|entry| format!("{}: {}", entry.name, entry.sentence)).collect();
    Ok((said(each.join(" ")), vec![Found { label: "Orders".to_owned(), path: "/orders".to_owned() }]))
}

/// The lots of a wire that are in use, with how much of it is left of all, mm.
fn of_wire_there<'a>(lots: &'a [Stocked], wire: &Wire) -> (Vec<&'a Stocked>, f64) {
    let own: Vec<&Stocked> =
        lots.iter().filter(|lot| lot.entry.record.covered_wire().stands_for(wire)).collect();
    let left_mm = own.iter().map(|lot| lot.standing.left_mm).sum();
    (own, left_mm)
}

async fn stock(state: &State, words: &str) -> Result<(Answer, Vec<Found>), Problem> {
    let workshop = state.store.workshop();
    let unit = workshop.habits.unit;
    let lots = read(state, rack::in_stock).await?;
    let Some((metal, size_mm)) = wire_in(words, workshop.habits) else {
        let answer =
            said(format!("“{words}” names no wire. Write its metal and size, for example copper 20 ga."));
        return Ok((answer, vec![]));
    };
    // Whatever its temper and section.
    let near = |mm: f64| size_mm.is_none_or(|size| (mm / size - 1.0).abs() < 0.03);
    let own: Vec<&Stocked> = lots
        .iter()
        .filter(|lot| {
            let wire = &lot.entry.record.wire;
            metal.is_none_or(|metal| wire.metal == metal) && near(wire.size_mm)
        })
        .collect();
    let each = |lot: &&Stocked| {
        format!(
            "{} of {} ({})",
            of_wire(lot.standing.left_mm, unit),
            lot.entry.record.wire.shown(unit),
            lot.entry.name
        )
    };
    let headline = match own.len() {
        0 => format!("No {words} in stock."),
        _ => {
            let left_mm: f64 = own.iter().map(|lot| lot.standing.left_mm).sum();
            let listed: Vec<String> = own.iter().take(6).map(each).collect();
            format!("{} in stock: {}.", of_wire(left_mm, unit), listed.join("; "))
        }
    };
    Ok((said(headline), vec![Found { label: "Wire stock".to_owned(), path: "/rack".to_owned() }]))
}

/// The piece some words name, as the ask line reads it; what is not understood of them is the answer.
async fn piece_of(state: &State, words: String) -> Result<Result<(Piece, Vec<String>), Answer>, Problem> {
    let workshop = state.store.workshop();
    let kept = read(state, kept_pieces).await?;
    let read = super::aside(move || piece(&words, &workshop, &|| kept.clone())).await?;
    Ok(read.map_err(|faults| Answer { faults: faults.0, ..Answer::default() }))
}

async fn enough(state: &State, words: String) -> Result<(Answer, Vec<Found>), Problem> {
    let workshop = state.store.workshop();
    let (piece, assumed) = match piece_of(state, words).await? {
        Ok(read) => read,
        Err(answer) => return Ok((answer, vec![])),
    };
    let lots = read(state, rack::in_stock).await?;
    let headline = enough_told(&piece, &lots, &workshop)?;
    let answer = Answer { headline, assumed, ..Answer::default() };
    Ok((answer, vec![Found { label: "Cutting plan".to_owned(), path: "/rack/cut".to_owned() }]))
}

fn enough_told(piece: &Piece, lots: &[Stocked], workshop: &Workshop) -> Result<String, Problem> {
    let unit = workshop.habits.unit;
    let finished = piece.finished(workshop)?;
    let blanks = finished.blanks();
    let needed_mm = blanks.length_mm * f64::from(blanks.n);
    let (own, left_mm) = of_wire_there(lots, piece.wire());
    let wire = piece.wire().shown(unit);
    let (needed, left) = (of_wire(needed_mm, unit), of_wire(left_mm, unit));
    let what = piece.counted_as(piece.count());
    Ok(match own.len() {
        0 => format!("No: there is no {wire} in stock. {what} take {needed}."),
        _ if left_mm >= needed_mm => format!("Yes: {what} take {needed}, and {left} of {wire} are in stock."),
        n => format!(
            "No: {what} take {needed}, and {left} of {wire} are in stock, on {}.",
            counted(n, "spool")
        ),
    })
}

async fn ready_when(state: &State, words: String) -> Result<(Answer, Vec<Found>), Problem> {
    let (piece, assumed) = match piece_of(state, words).await? {
        Ok(read) => read,
        Err(answer) => return Ok((answer, vec![])),
    };
    let what = piece.counted_as(piece.count());
    let line = Line { name: piece.called().to_owned(), piece, spares_percent: 0.0, handed_n: 0 };
    let order = Order { customer: String::new(), due: None, note: String::new(), lines: vec![line] };
    let told = when_ready(state, order).await?;
    let answer = Answer { headline: format!("{what}: {told}"), assumed, ..Answer::default() };
    Ok((answer, vec![Found { label: "Schedule".to_owned(), path: "/orders/sittings".to_owned() }]))
}
