//! A bag on the shelf: so many of a piece, with the recipe they were made by.

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::bench::{Batch, BatchProgress};
use crate::fault::{Fault, Faults, check_text};
use crate::making::Changes;
use crate::piece::Piece;
use crate::piece::in_hand::InHand;
use crate::tool::method::Methods;
use crate::tool::workshop::Workshop;
use crate::words::words;
use lorimant_text::text;

/// So many of a piece in a bag, with the recipe they were made by: it stays as it was, whatever becomes of the plan.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Bag {
    /// What is in it, 1 to 80 characters.
    pub name: String,
    /// The piece as it was made, and how many were put in when it was filled.
    pub piece: Piece,
    /// The methods it was made by.
    #[serde(default, alias = "schools", skip_serializing_if = "Option::is_none")]
    pub methods: Option<Methods>,
    /// What was changed about its route.
    #[serde(default, skip_serializing_if = "Changes::is_empty")]
    pub changes: Changes,
    /// The workshop it was made in, so that its recipe stays as it was when tools and units change; today's if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<Workshop>))]
    pub workshop: Option<Box<Workshop>>,
    /// The number of the batch it came of.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub batch: Option<i64>,
    /// The day it was filled.
    #[cfg_attr(feature = "schema", schema(value_type = String, format = Date))]
    pub filled_on: Date,
    /// Where it lies, at most 80 characters.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub place: String,
    /// How many are in it now: rings, pieces, or pairs.
    pub n: u32,
    /// A note, at most 400 characters.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub note: String,
}

words! {
    /// What is done to the count of a bag.
    pub enum Counting ("counting") {
        /// So many are taken out.
        TakenOut = "taken-out";
        /// So many are put back.
        PutBack = "put-back";
        /// It was counted again: so many are in it.
        CountedAgain = "counted-again";
    }
}

/// Most pieces a bag is said to hold.
const MOST_IN_A_BAG: u32 = 1_000_000;

impl Bag {
    /// Filled with what came of a batch; of pairs, a single one that is left over is noted.
    ///
    /// # Errors
    /// A fault at `batch` where something is still to be done on it, or nothing came of it.
    pub fn of(
        batch: &Batch,
        number: i64,
        progress: &BatchProgress,
        filled_on: Date,
        place: &str,
    ) -> Result<Self, Fault> {
        if progress.at.is_some() {
            let message = text!("order-bag-this-batch-isnt-done-yet");
            return Err(Fault::new("batch", message));
        }
        let (n, single) = batch.whole(progress);
        if n == 0 {
            return Err(Fault::new("batch", text!("order-bag-this-batch-has-no-good")));
        }
        let mut note = batch.note.clone();
        if single > 0 {
            let single = text!("order-bag-one-single-without-its-pair");
            note = if note.is_empty() { single.to_owned() } else { format!("{note} {single}") };
        }
        Ok(Self {
            name: batch.name.clone(),
            piece: batch.made(progress),
            methods: batch.methods,
            changes: batch.changes.clone(),
            workshop: batch.workshop.clone(),
            batch: Some(number),
            filled_on,
            place: place.to_owned(),
            n,
            note,
        })
    }

    /// The bag after its count was changed.
    ///
    /// ```
    /// use jiff::civil::date;
    /// use lorimant_core::order::bag::{Bag, Counting};
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    ///
    /// let piece = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap())).with_count(12);
    /// let bag = Bag {
    ///     name: "clasps".to_owned(), piece, methods: None, changes: Default::default(), workshop: None, batch: None,
    ///     filled_on: date(2026, 3, 2), place: String::new(), n: 12, note: String::new(),
    /// };
    /// assert_eq!(bag.counted(Counting::TakenOut, 5).unwrap().n, 7);
    /// assert!(bag.counted(Counting::TakenOut, 13).unwrap_err().message.contains("there are 12 in it"));
    /// ```
    ///
    /// # Errors
    /// A fault at `n` for more than are in it, for none, and for more than a bag is said to hold.
    pub fn counted(&self, counting: Counting, n: u32) -> Result<Self, Fault> {
        let left = match counting {
            _ if n == 0 && counting != Counting::CountedAgain => {
                return Err(Fault::new("n", text!("order-bag-enter-how-many-at-least")).limit(1.0));
            }
            Counting::TakenOut => self.n.checked_sub(n).ok_or_else(|| {
                Fault::new("n", text!("order-bag-cannot-be-taken-out-there", n, n2 = self.n))
                    .limit(f64::from(self.n))
            })?,
            Counting::PutBack => self.n.saturating_add(n),
            Counting::CountedAgain => n,
        };
        let bag = Self { n: left, ..self.clone() };
        bag.check_n()?;
        Ok(bag)
    }

    fn check_n(&self) -> Result<(), Fault> {
        if self.n <= MOST_IN_A_BAG {
            return Ok(());
        }
        let message = text!("order-bag-too-many-for-one-bag", n = self.n, MOST_IN_A_BAG);
        Err(Fault::new("n", message).limit(f64::from(MOST_IN_A_BAG)))
    }

    /// What one of it is in the hand, by the methods and changes it was made with. None of what cannot be made any more.
    #[must_use]
    pub fn in_hand(&self, workshop: &Workshop) -> Option<InHand> {
        self.as_made(1).in_hand(workshop)
    }

    /// The same without the workshop it keeps: as a list shows it.
    #[must_use]
    pub fn listed(self) -> Self {
        Self { workshop: None, ..self }
    }

    /// A batch of so many by the recipe these were made by, in the workshop as it was then.
    #[must_use]
    pub fn as_made(&self, n: u32) -> Batch {
        Batch {
            name: self.name.clone(),
            piece: self.piece.clone().with_count(n),
            methods: self.methods,
            changes: self.changes.clone(),
            workshop: self.workshop.clone(),
            note: String::new(),
        }
    }

    /// The batch that makes so many of the same again, by the same ways and changes, with the tools there are now.
    #[must_use]
    pub fn again(&self, n: u32, workshop: &Workshop) -> Batch {
        Batch { workshop: Batch::snapshot(workshop), ..self.as_made(n) }
    }

    /// Checks its texts, its count and its piece.
    ///
    /// # Errors
    /// A fault for each that cannot be.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        if self.name.trim().is_empty() {
            faults.add(Fault::new("name", text!("order-bag-enter-what-in-bag")));
        }
        faults.keep(check_text("name", text!("noun-name"), &self.name, 80));
        faults.keep(check_text("place", text!("noun-place"), &self.place, 80));
        faults.keep(check_text("note", text!("noun-note"), &self.note, 400));
        faults.keep(self.check_n());
        faults.nest("piece", self.piece.check());
        faults.into_result()
    }
}
