//! What covers the lines of orders: bags first, then what is on its way; the rest is still to be made.

use jiff::civil::Date;
use serde::Serialize;

use super::{Bag, Order};
use crate::bench::Batch;
use crate::fault::Fault;
use crate::piece::in_hand::InHand;
use crate::tool::workshop::Workshop;
use crate::words::words;
use lorimant_text::text;

words! {
    /// How far an order or a line of it is.
    pub enum OrderState ("order-state") {
        /// Something of it is still to be begun.
        ToMake = "to-make";
        /// All of it is on its way.
        InTheMaking = "in-the-making";
        /// All of it lies in bags.
        Ready = "ready";
        /// All of it was handed over.
        HandedOver = "handed-over";
    }
}

/// How a line of an order is covered.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct LineProgress {
    /// How many are owed.
    pub to_deliver_n: u32,
    /// How many of them lie in bags.
    pub in_bags_n: u32,
    /// How many of them are on their way, spares left out.
    pub under_way_n: u32,
    /// How many are still to be made, spares included.
    pub to_make_n: u32,
    /// How far it is.
    pub state: OrderState,
}

/// A batch that is on its way, as far as orders are concerned.
#[derive(Debug, Clone)]
pub struct BatchOnItsWay<'a> {
    /// The batch.
    pub batch: &'a Batch,
    /// How many of it will be whole, as it is counted: rings, pieces, or pairs.
    pub n: u32,
}

/// How every line of every order is covered: what is due first is served first, then what was ordered first.
///
/// A line takes from bags with the same piece in them what it owes, then from batches of the same piece as many as it
/// still needs with its spares; what is needed beyond that is to be made, with its spares.
///
/// ```
/// use lorimant_core::order::{Line, Order, OrderState, cover};
/// use lorimant_core::pattern::PatternRequest;
/// use lorimant_core::piece::Piece;
/// use lorimant_core::tool::workshop::Workshop;
///
/// let piece = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap())).with_count(24);
/// let line = Line { name: "clasps".to_owned(), piece, spares_percent: 10.0, handed_n: 0 };
/// let order = Order { customer: "wardrobe".to_owned(), due: None, note: String::new(), lines: vec![line] };
/// let progress = &cover(&[&order], &[], &[], &Workshop::default())[0][0];
/// assert_eq!((progress.to_make_n, progress.state), (27, OrderState::ToMake));
/// ```
#[must_use]
pub fn cover(
    orders: &[&Order],
    bags: &[&Bag],
    batches: &[BatchOnItsWay],
    workshop: &Workshop,
) -> Vec<Vec<LineProgress>> {
    // Each is worked out once, however many lines look at it.
    let bagged: Vec<Option<InHand>> = bags.iter().map(|bag| bag.in_hand(workshop)).collect();
    let made: Vec<Option<InHand>> = batches.iter().map(|one| one.batch.in_hand(workshop)).collect();
    let mut in_bags: Vec<u32> = bags.iter().map(|bag| bag.n).collect();
    let mut under_way: Vec<u32> = batches.iter().map(|batch| batch.n).collect();
    let mut turn: Vec<usize> = (0..orders.len()).collect();
    turn.sort_by_key(|at| (orders[*at].due.unwrap_or(Date::MAX), *at));
    let mut all: Vec<Vec<LineProgress>> = vec![vec![]; orders.len()];
    for at in turn {
        for line in &orders[at].lines {
            let to_deliver_n = line.owed_n();
            let wanted = line.piece.in_hand(workshop);
            let in_bags_n = draw(&mut in_bags, &bagged, wanted.as_ref(), to_deliver_n);
            let short_n = to_deliver_n - in_bags_n;
            let drawn_n = draw(&mut under_way, &made, wanted.as_ref(), line.with_spares(short_n));
            let under_way_n = drawn_n.min(short_n);
            let rest_n = short_n - under_way_n;
            let to_make_n = if rest_n > 0 { line.with_spares(rest_n) } else { 0 };
            let state = match () {
                () if to_deliver_n == 0 => OrderState::HandedOver,
                () if rest_n > 0 => OrderState::ToMake,
                () if under_way_n > 0 => OrderState::InTheMaking,
                () => OrderState::Ready,
            };
            all[at].push(LineProgress { to_deliver_n, in_bags_n, under_way_n, to_make_n, state });
        }
    }
    all
}

/// Checks that so many of a line are free to be handed over: that none of them is set aside in its bag for another order.
/// `orders` are all that are open, each with how its lines are covered; `of` is the place of the order among them.
///
/// # Errors
/// A fault at `even_if_set_aside` that names the order due first which would be short of them.
pub fn check_set_aside(
    orders: &[(&Order, &[LineProgress])],
    (of, line): (usize, usize),
    n: u32,
    workshop: &Workshop,
) -> Result<(), Fault> {
    let Some((wanted, progress)) =
        orders.get(of).and_then(|(order, at)| order.lines.get(line).zip(at.get(line)))
    else {
        return Ok(());
    };
    if n <= progress.in_bags_n {
        return Ok(());
    }
    let wanted = wanted.piece.in_hand(workshop);
    let holds = |(order, progress): &(&Order, &[LineProgress])| {
        order.lines.iter().zip(*progress).any(|(line, at)| {
            at.in_bags_n > 0 && alike(line.piece.in_hand(workshop).as_ref(), wanted.as_ref())
        })
    };
    let others = orders.iter().enumerate().filter(|(at, other)| *at != of && holds(other));
    let first = others.map(|(_, (order, _))| order).min_by_key(|order| order.due.unwrap_or(Date::MAX));
    first.map_or(Ok(()), |other| {
        let message = text!("cover-set-aside", n = progress.in_bags_n, whom = other.for_whom());
        Err(Fault::new("even_if_set_aside", message))
    })
}

impl OrderState {
    /// How far an order is: as far as the line that is least far.
    #[must_use]
    pub fn of(lines: &[LineProgress]) -> Self {
        lines.iter().map(|line| line.state).min().unwrap_or(Self::HandedOver)
    }
}

/// Whether both are known and the same in the hand.
pub(super) fn alike(made: Option<&InHand>, wanted: Option<&InHand>) -> bool {
    made.zip(wanted).is_some_and(|(made, wanted)| made.is_like(wanted))
}

/// Draws up to `n` from piles of the same piece, the first before others; gives how many were there.
fn draw(piles: &mut [u32], of: &[Option<InHand>], wanted: Option<&InHand>, n: u32) -> u32 {
    let mut drawn = 0;
    for (pile, made) in piles.iter_mut().zip(of) {
        if drawn < n && *pile > 0 && alike(made.as_ref(), wanted) {
            let from_here = (*pile).min(n - drawn);
            *pile -= from_here;
            drawn += from_here;
        }
    }
    drawn
}
