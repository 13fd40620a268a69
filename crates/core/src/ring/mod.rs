//! Jump rings: wound on a rod, let go, cut, closed.
//!
//! A [`RingRequest`] is what a maker says; a [`RingPlan`] is what follows from it.

pub mod backwards;
pub mod caution;
pub mod change;
pub mod drawn;
pub mod figures;
pub mod plan;
pub mod route;
pub mod sentence;
pub mod sheet;
pub mod supply;
pub mod wish;

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span, TURNS};
use crate::making::Changes;
use crate::shape::hammered as hammer;
use crate::tool::coil::Coil;
pub use crate::tool::coil::Winding;
use crate::tool::cutting::Cutting;
use crate::tool::mandrel::Mandrel;
use crate::wire::Wire;
use lorimant_text::{Text, fixed, text};
use plan::Layout;

pub use plan::RingPlan;
pub use route::FinishedRings;
pub use wish::Wish;

/// Most rings one plan may have.
pub const MOST_RINGS: u32 = 1_000_000;

/// What is lost at the ends of each coil.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Ends {
    /// Tail that anchors the wire, mm; 12 if left out.
    pub anchor_mm: f64,
    /// Tail held at the finish, mm; 5 if left out.
    pub finish_mm: f64,
    /// Ragged part-turns cut away at the two ends together, turns; 0.5 if left out.
    pub ragged_turns: f64,
}

impl Default for Ends {
    fn default() -> Self {
        Self { anchor_mm: 12.0, finish_mm: 5.0, ragged_turns: 0.5 }
    }
}

impl Ends {
    const TAIL: Span = Span { noun: Text::named("ring-tail"), unit: " mm", least: 0.0, most: 1000.0 };
    const RAGGED: Span = Span { noun: Text::named("ring-uneven-ends"), unit: TURNS, least: 0.0, most: 20.0 };

    fn check(&self, faults: &mut Faults) {
        faults.keep(Self::TAIL.check("ends.anchor_mm", self.anchor_mm));
        faults.keep(Self::TAIL.check("ends.finish_mm", self.finish_mm));
        faults.keep(Self::RAGGED.check("ends.ragged_turns", self.ragged_turns));
    }
}

/// What a maker asks for: so many rings of a wire, wound on a rod and cut.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct RingRequest {
    /// The wire.
    pub wire: Wire,
    /// The rod.
    pub mandrel: Mandrel,
    /// How many rings, 1 to 1 000 000; 100 if left out.
    #[serde(default = "hundred")]
    pub rings_n: u32,
    /// How it is wound; by hand if left out.
    #[serde(default = "by_hand")]
    pub winding: Winding,
    /// How the coil is cut; sawn with a suited blade if left out.
    #[serde(default)]
    pub cutting: Cutting,
    /// What is lost at the ends of each coil.
    #[serde(default)]
    pub ends: Ends,
    /// What was wished for, where the plan can only come near it.
    #[serde(default, skip_serializing_if = "Wish::is_empty")]
    pub wish: Wish,
    /// How often the wire is pulled through smooth jaws before it is wound, 0 to 60: each pull stiffens it.
    #[serde(default, skip_serializing_if = "is_none")]
    pub pulls_n: u32,
    /// Thickness across its plane that each ring is hammered to once it is shut, mm; left as wound if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub hammered_mm: Option<f64>,
    /// What is changed about the route of this plan.
    #[serde(default, skip_serializing_if = "Changes::is_empty")]
    pub route: Changes,
}

#[expect(clippy::trivially_copy_pass_by_ref, reason = "serde hands over references")]
fn is_none(n: &u32) -> bool {
    *n == 0
}

pub(crate) fn hundred() -> u32 {
    100
}

pub(crate) fn by_hand() -> Winding {
    Winding::Hand
}

/// The fault of asking for more rings than a plan can hold.
pub(crate) fn too_many(rings: f64) -> Fault {
    let message = text!("ring-rings-too-many-for-one", rings = fixed(rings, 0), MOST_RINGS);
    Fault::new("rings_n", message).limit(f64::from(MOST_RINGS))
}

/// Longest coil that hands hold on a rod of which no length is known, mm.
pub const HELD_COIL_MM: f64 = 100.0;
/// Most turns wound by hand in one go before the count is lost, where nothing else ends the coil.
const HAND_TURNS: f64 = 100.0;

impl RingRequest {
    /// Length that one coil may take, mm: the rod's, or what hands hold where none is known.
    #[must_use]
    pub fn coil_room_mm(&self) -> f64 {
        self.mandrel.coil_room_mm().unwrap_or(HELD_COIL_MM)
    }

    /// Most whole turns of one coil.
    pub(super) fn most_turns(&self, coil: &Coil) -> f64 {
        let room = (self.coil_room_mm() / coil.pitch_mm + 1e-9).floor();
        match (self.mandrel.coil_room_mm(), self.winding) {
            (None, Winding::Hand) => room.min(HAND_TURNS),
            _ => room,
        }
    }

    /// Whole turns to wind so that a coil gives so many rings.
    pub(super) fn turns_for(&self, rings: f64, coil: &Coil, layout: Layout) -> f64 {
        let relaxed = rings * layout.turns_per_ring + self.ends.ragged_turns;
        (relaxed / coil.springback_ratio - 1e-6).ceil().max(1.0)
    }
}

impl RingRequest {
    /// Rings wound by hand and sawn, with the usual tails.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::SterlingSilver, 1.0, Temper::HalfHard);
    /// let plan = RingRequest::new(wire, Mandrel::round(5.0), 100).plan().unwrap();
    /// // The coil springs open, closing the saw's cut takes a little back.
    /// assert!(plan.coil_inside_diameter_mm > plan.ring_inside_diameter_mm);
    /// assert!(plan.ring_inside_diameter_mm > 5.0);
    /// ```
    #[must_use]
    pub fn new(wire: Wire, mandrel: Mandrel, rings_n: u32) -> Self {
        let (winding, cutting, ends) = (by_hand(), Cutting::default(), Ends::default());
        Self {
            wire,
            mandrel,
            rings_n,
            winding,
            cutting,
            ends,
            wish: Wish::default(),
            pulls_n: 0,
            hammered_mm: None,
            route: Changes::default(),
        }
    }

    /// Checks everything that can be checked before winding.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let none = RingRequest::new(wire, Mandrel::round(5.0), 0);
    /// assert_eq!(none.check().unwrap_err().0[0].message, "0 rings need no wire. Enter at least 1.");
    /// ```
    ///
    /// # Errors
    /// Every fault found, each at its field.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.nest("wire", self.wire.check());
        faults.nest("mandrel", self.mandrel.check());
        faults.nest("cutting", self.cutting.check(self.wire.size_mm));
        if self.rings_n == 0 {
            let message = text!("ring-0-rings-need-no-wire");
            faults.add(Fault::new("rings_n", message).limit(1.0));
        } else if self.rings_n > MOST_RINGS {
            faults.add(too_many(f64::from(self.rings_n)));
        }
        self.ends.check(&mut faults);
        let pulls = Span { noun: Text::named("ring-number-pulls"), unit: "", least: 0.0, most: 60.0 };
        faults.keep(pulls.check("pulls_n", f64::from(self.pulls_n)));
        if let Some(to_mm) = self.hammered_mm {
            faults.keep(hammer::check(&self.wire, to_mm));
        }
        self.wish.check(&self.wire, &mut faults);
        faults.into_result()
    }
}
