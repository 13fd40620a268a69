//! Orders: who wants what, how many, and by when; bags on the shelf and batches on their way cover them.
//!
//! An [`Order`] has lines, each with the piece as it was ordered. What has been made covers them: [`cover()`] gives every
//! line first what lies in [bags](Bag), then what is on its way, and says what is still to be made. States are read off
//! that; nobody sets them.

pub mod bag;
mod cover;
pub mod label;
pub mod recipe;
pub mod single;
mod to_make;
mod wire_short;

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

pub use bag::Bag;
pub use cover::{BatchOnItsWay, LineProgress, OrderState, check_set_aside, cover};
pub use to_make::{Covered, orders_of, to_begin};
pub use wire_short::{WireShort, lines_for, short_of};

use crate::fault::{Fault, Faults, Span, check_text};
use crate::pattern::MOST_PIECES;
use crate::piece::Piece;
use crate::tool::workshop::Workshop;
use lorimant_text::{Text, text};

/// Years an order can be due in: others are slips of the pen.
const YEARS: std::ops::RangeInclusive<i16> = 2000..=2199;
/// Most lines of an order.
const MOST_LINES: usize = 100;

/// Who wants what, by when.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Order {
    /// Who it is for, at most 80 characters; nobody where it is for stock.
    #[serde(default)]
    pub customer: String,
    /// The day it is due; none where nobody waits.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>, format = Date))]
    pub due: Option<Date>,
    /// A note, at most 2000 characters.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub note: String,
    /// What is wanted, 1 to 100 lines.
    pub lines: Vec<Line>,
}

/// What is wanted of one piece.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Line {
    /// What it is called, 1 to 80 characters.
    pub name: String,
    /// The piece as it was ordered, and how many of it.
    pub piece: Piece,
    /// How many more are made in case some are scrapped, per cent of what is made; 0 to 100.
    #[serde(default, skip_serializing_if = "is_zero")]
    pub spares_percent: f64,
    /// How many were handed over already.
    #[serde(default, skip_serializing_if = "is_none")]
    pub handed_n: u32,
}

#[expect(clippy::trivially_copy_pass_by_ref, reason = "serde hands over references")]
fn is_zero(share: &f64) -> bool {
    *share == 0.0
}

#[expect(clippy::trivially_copy_pass_by_ref, reason = "serde hands over references")]
fn is_none(n: &u32) -> bool {
    *n == 0
}

impl Line {
    const SPARES: Span =
        Span { noun: Text::named("order-share-spares"), unit: " %", least: 0.0, most: 100.0 };

    /// How many are still owed.
    #[must_use]
    pub fn owed_n(&self) -> u32 {
        self.piece.count().saturating_sub(self.handed_n)
    }

    /// So many with the spares that are made along with them, rounded up.
    ///
    /// ```
    /// use lorimant_core::order::Line;
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    ///
    /// let piece = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap())).with_count(24);
    /// let line = Line { name: "clasps".to_owned(), piece, spares_percent: 10.0, handed_n: 0 };
    /// assert_eq!(line.with_spares(24), 27);
    /// ```
    #[must_use]
    pub fn with_spares(&self, n: u32) -> u32 {
        let spares =
            (f64::from(n) * self.spares_percent / 100.0 - 1e-9).ceil().clamp(0.0, f64::from(MOST_PIECES));
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "0 to 100 000")]
        let spares = spares as u32;
        n.saturating_add(spares)
    }

    fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        if self.name.trim().is_empty() {
            faults.add(Fault::new("name", text!("order-enter-name-for-this-line")));
        }
        faults.keep(check_text("name", text!("noun-name"), &self.name, 80));
        faults.keep(Self::SPARES.check("spares_percent", self.spares_percent));
        let n = self.piece.count();
        if n == 0 || n > MOST_PIECES {
            let message = text!("order-cannot-be-ordered-enter-1", n, MOST_PIECES);
            faults.add(Fault::new("pieces_n", message).limit(f64::from(MOST_PIECES)));
        } else {
            faults.nest("piece", self.piece.check());
        }
        if self.handed_n > n {
            let message = text!("order-cannot-be-handed-over-only", handed_n = self.handed_n, n);
            faults.add(Fault::new("handed_n", message).limit(f64::from(n)));
        }
        faults.into_result()
    }
}

impl Order {
    /// Who it is for, as lists say it.
    ///
    /// ```
    /// use lorimant_core::order::Order;
    ///
    /// let order = Order { customer: String::new(), due: None, note: String::new(), lines: vec![] };
    /// assert_eq!(order.for_whom(), "Own stock");
    /// ```
    #[must_use]
    pub fn for_whom(&self) -> String {
        if self.customer.trim().is_empty() {
            text!("order-own-stock").to_owned()
        } else {
            self.customer.clone()
        }
    }

    /// What it is, in a sentence: `24 hook clasps, 12 pairs of ear wires`.
    #[must_use]
    pub fn sentence(&self) -> String {
        let lines: Vec<String> =
            self.lines.iter().map(|line| format!("{} × {}", line.piece.count(), line.name)).collect();
        lines.join(", ")
    }

    /// Checks its texts and its lines.
    ///
    /// # Errors
    /// A fault for each text that is too long, for no line or too many, and those of each line, within `lines[i]`.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.keep(check_text("customer", text!("noun-customer"), &self.customer, 80));
        faults.keep(check_text("note", text!("noun-note"), &self.note, 2000));
        if let Some(due) = self.due.filter(|due| !YEARS.contains(&due.year())) {
            let (from, to) = (YEARS.start(), YEARS.end());
            let message = text!("order-orders-cannot-be-due-in", due = due.year(), from, to);
            faults.add(Fault::new("due", message));
        }
        if self.lines.is_empty() || self.lines.len() > MOST_LINES {
            let message = text!(
                "order-order-lines-cannot-be-saved",
                lines = text!("count-line", n = self.lines.len()),
                MOST_LINES
            );
            faults.add(Fault::new("lines", message));
        }
        for (i, line) in self.lines.iter().enumerate().take(MOST_LINES) {
            faults.nest(&format!("lines[{i}]"), line.check());
        }
        faults.into_result()
    }

    /// Hands over so many of a line, out of bags with the same piece in them, those that were filled first before others.
    /// Gives the order and the bags as they are then, the bags by their places.
    ///
    /// # Errors
    /// A fault at `line` for one there is not, at `n` for none, more than are owed, or more than lie in bags.
    pub fn hand_over(
        &self,
        line: usize,
        n: u32,
        bags: &[&Bag],
        workshop: &Workshop,
    ) -> Result<(Self, Vec<(usize, Bag)>), Fault> {
        let Some(wanted) = self.lines.get(line) else {
            return Err(Fault::new(
                "line",
                text!("order-this-order-has-no-line", line = line.saturating_add(1)),
            ));
        };
        let owed_n = wanted.owed_n();
        if n == 0 || n > owed_n {
            let message = text!("order-cannot-be-handed-over-still", n, owed_n, name = wanted.name);
            return Err(Fault::new("n", message).limit(f64::from(owed_n)));
        }
        let in_hand = wanted.piece.in_hand(workshop);
        let is_it = |at: &usize| cover::alike(bags[*at].in_hand(workshop).as_ref(), in_hand.as_ref());
        let mut of_it: Vec<usize> = (0..bags.len()).filter(is_it).collect();
        of_it.sort_by_key(|at| bags[*at].filled_on);
        let there_n: u32 = of_it.iter().map(|at| bags[*at].n).fold(0, u32::saturating_add);
        if n > there_n {
            let message = text!("order-cannot-be-handed-over-in", n, there_n, name = wanted.name);
            return Err(Fault::new("n", message).limit(f64::from(there_n)));
        }
        let mut left_n = n;
        let mut taken = vec![];
        for at in of_it {
            let from_here = left_n.min(bags[at].n);
            if from_here > 0 {
                taken.push((at, Bag { n: bags[at].n - from_here, ..bags[at].clone() }));
                left_n -= from_here;
            }
        }
        let mut order = self.clone();
        order.lines[line].handed_n = wanted.handed_n + n;
        Ok((order, taken))
    }
}
