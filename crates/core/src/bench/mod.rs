//! The bench: a batch of pieces on its way through its route, one operation at a time over all of them.
//!
//! A [`Batch`] says what is made and how many; its [tasks](Batch::tasks) are the operations of the piece's own route, so
//! that there is no second list of steps. What happens at the bench is a list of [events](Event) that only grows;
//! how far the batch is, what was scrapped and how long it took is [read off](Batch::progress) them.

mod at_tool;
mod booking;
pub mod counter;
mod event;
pub mod load;
pub mod pass;
mod progress;
pub mod rest;
pub mod schedule;
mod task;
pub mod times;

use serde::{Deserialize, Serialize};

pub use booking::{Books, in_order};
pub use event::{Event, EventKind};
pub use progress::{BatchProgress, Scrapped, TaskProgress};
pub use task::{Counted, Task};

use crate::fault::{Fault, Faults, check_text};
use crate::making::Changes;
use crate::piece::Piece;
use crate::tool::method::Methods;
use crate::tool::workshop::Workshop;
use lorimant_text::text;

/// Pieces that go through their route together.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Batch {
    /// What it is called, 1 to 80 characters.
    pub name: String,
    /// What is made, and how many, as it was planned when the batch was begun.
    pub piece: Piece,
    /// The workshop's methods when it was begun, so that its steps stay its steps; today's if left out.
    #[serde(default, alias = "schools", skip_serializing_if = "Option::is_none")]
    pub methods: Option<Methods>,
    /// What this batch does otherwise than its plan.
    #[serde(default, skip_serializing_if = "Changes::is_empty")]
    pub changes: Changes,
    /// The workshop when it was begun: its tools, units and ways, so that no step of it changes when they do; today's if
    /// left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<Workshop>))]
    pub workshop: Option<Box<Workshop>>,
    /// What the maker notes about it, at most 400 characters; it goes on with the bag.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub note: String,
}

/// Longest note on a batch, characters.
const LONGEST_NOTE: u32 = 400;

impl Batch {
    /// Of a piece, so many of it.
    #[must_use]
    pub fn of(name: &str, piece: Piece, n: u32) -> Self {
        Self {
            name: name.to_owned(),
            piece: piece.with_count(n),
            methods: None,
            changes: Changes::default(),
            workshop: None,
            note: String::new(),
        }
    }

    /// The same, as it is begun in this workshop: what the workshop is, and what is known of the lot by now, are kept
    /// with it, so that its steps stay its steps.
    #[must_use]
    pub fn begun(name: &str, piece: Piece, n: u32, workshop: &Workshop) -> Self {
        Self {
            methods: Some(workshop.methods),
            workshop: Self::snapshot(workshop),
            ..Self::of(name, piece.known(workshop), n)
        }
    }

    /// What of a workshop is kept with what is made in it: all but its lots, which are looked up.
    #[must_use]
    pub fn snapshot(workshop: &Workshop) -> Option<Box<Workshop>> {
        Some(Box::new(Workshop { lots: vec![], ..workshop.clone() }))
    }

    /// The same without the workshop it keeps: as a list shows it.
    #[must_use]
    pub fn listed(self) -> Self {
        Self { workshop: None, ..self }
    }

    /// Checks its name and its piece; whether its route can be run, [`Batch::tasks`] says.
    ///
    /// # Errors
    /// A fault for its name; the faults of its piece, within `piece`.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        if self.name.trim().is_empty() {
            faults.add(Fault::new("name", text!("bench-enter-name-for-batch")));
        }
        faults.keep(check_text("name", text!("noun-name"), &self.name, 80));
        faults.keep(check_text("note", text!("noun-note"), &self.note, LONGEST_NOTE));
        faults.nest("piece", self.piece.check());
        faults.into_result()
    }

    /// How many workpieces go through: rings, also of a chain; or pieces of a finding, two for a pair.
    #[must_use]
    pub fn pieces_n(&self) -> u32 {
        self.piece.workpieces_n()
    }
}
