//! A piece to be made: rings planned on a rod, a finding, or a chain. Whoever does not care which asks here.

pub mod finished;
pub mod in_hand;
pub mod mate;
pub mod route;

use serde::{Deserialize, Serialize};

use crate::chain::{self, ChainRequest};
use crate::drawing::Thumbnail;
use crate::fault::Faults;
use crate::making::Changes;
use crate::pattern::{self, PatternRequest};
use crate::ring::{self, RingRequest};
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::words::length::{LengthUnit, on_ruler};
use crate::words::sentence;
use lorimant_text::text;

/// A piece that can be made.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub enum Piece {
    /// A ring plan.
    Rings(RingRequest),
    /// A finding.
    Finding(PatternRequest),
    /// A chain.
    Chain(Box<ChainRequest>),
}

/// Straight lengths of wire, all alike.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Blanks {
    /// What one takes off the stock, with the sliver that makes it flush, mm.
    pub length_mm: f64,
    /// What is measured off for one, from flush face to flush face, mm.
    pub flush_mm: f64,
    /// How many.
    pub n: u32,
}

impl Blanks {
    /// In words: `24 blanks of 61.5 mm`.
    pub fn shown(&self, unit: LengthUnit) -> String {
        text!("piece-of", n = text!("count-blank", n = self.n), flush_mm = on_ruler(self.flush_mm, unit))
    }
}

impl Piece {
    /// The wire it is made of.
    pub fn wire(&self) -> &Wire {
        match self {
            Self::Rings(request) => &request.wire,
            Self::Finding(request) => &request.wire,
            Self::Chain(request) => &request.ring.wire,
        }
    }

    /// What one of it is called: `ring`, `hook clasp`.
    pub fn called(&self) -> &'static str {
        match self {
            Self::Rings(_) => text!("piece-ring"),
            Self::Finding(request) => request.kind.0.name.as_str(),
            Self::Chain(_) => text!("piece-chain"),
        }
    }

    /// How many are asked for: rings, pieces, pairs of what is counted in pairs, or chains.
    pub fn count(&self) -> u32 {
        match self {
            Self::Rings(request) => request.rings_n,
            Self::Finding(request) => request.pieces_n,
            Self::Chain(request) => request.chains_n,
        }
    }

    /// The same piece, so many of it.
    #[must_use]
    pub fn with_count(self, n: u32) -> Self {
        match self {
            Self::Rings(request) => Self::Rings(RingRequest { rings_n: n, ..request }),
            Self::Finding(request) => Self::Finding(PatternRequest { pieces_n: n, ..request }),
            Self::Chain(mut request) => {
                request.chains_n = n;
                Self::Chain(request)
            }
        }
    }

    /// So many of it in words: `24 rings`, `6 pairs`, `1 piece`.
    #[must_use]
    pub fn counted_as(&self, n: u32) -> String {
        match self {
            Self::Rings(_) => text!("count-ring", n),
            Self::Finding(request) if request.in_pairs() => text!("count-pair", n),
            Self::Finding(_) => text!("count-piece", n),
            Self::Chain(_) => text!("count-chain", n),
        }
    }

    /// Whether one of it is the same in the hand as one of another, both as this workshop makes them: however many there are
    /// of each and however they are made. What this workshop cannot make is compared as it is written.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let shop = Workshop::default();
    /// let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
    /// assert!(hook.same_in_hand(&hook.clone().with_count(40), &shop));
    /// let eight = Piece::Finding(PatternRequest::usual("figure-eight".parse().unwrap()));
    /// assert!(!hook.same_in_hand(&eight, &shop));
    /// ```
    #[must_use]
    pub fn same_in_hand(&self, other: &Self, workshop: &Workshop) -> bool {
        match (self.in_hand(workshop), other.in_hand(workshop)) {
            (Some(one), Some(other)) => one.is_like(&other),
            (None, None) => self.clone().with_count(1) == other.clone().with_count(1),
            _ => false,
        }
    }

    /// What of it is wound: its rings, a chain's first ones; nothing for a finding, nor for a chain whose rings cannot be made.
    #[must_use]
    pub fn wound(&self) -> Option<RingRequest> {
        match self {
            Self::Rings(request) => Some(request.clone()),
            Self::Chain(chain) => chain.rings().ok(),
            Self::Finding(_) => None,
        }
    }

    /// The same piece with something done to each of its wires.
    #[must_use]
    pub fn with_wires(mut self, mut change: impl FnMut(&mut Wire)) -> Self {
        match &mut self {
            Self::Rings(request) => change(&mut request.wire),
            Self::Finding(request) => change(&mut request.wire),
            Self::Chain(request) => {
                change(&mut request.ring.wire);
                request.second_ring.iter_mut().for_each(|ring| change(&mut ring.wire));
            }
        }
        self
    }

    /// The same piece with what the workshop knows of its lots by now.
    #[must_use]
    pub fn known(self, workshop: &Workshop) -> Self {
        self.with_wires(|wire| workshop.knows(wire))
    }

    /// Checks that it can be planned.
    ///
    /// # Errors
    /// The faults of the plan or finding.
    pub fn check(&self) -> Result<(), Faults> {
        match self {
            Self::Rings(request) => request.plan().map(|_| ()),
            Self::Finding(request) => request.form().map(|_| ()),
            Self::Chain(request) => request.check_as_known(),
        }
    }

    /// The same piece in another wire, its dimensions as they are.
    #[must_use]
    pub fn in_wire(self, wire: Wire) -> Self {
        match self {
            Self::Rings(request) => Self::Rings(RingRequest { wire, ..request }),
            Self::Finding(request) => Self::Finding(PatternRequest { wire, ..request.settled() }),
            Self::Chain(mut request) => {
                request.ring.wire = wire;
                Self::Chain(request)
            }
        }
    }

    /// What its plan changes about its route.
    #[must_use]
    pub fn changes(&self) -> &Changes {
        match self {
            Self::Rings(request) => &request.route,
            Self::Finding(request) => &request.route,
            Self::Chain(request) => &request.ring.route,
        }
    }

    /// The same piece with its route changed so.
    #[must_use]
    pub fn changed(self, route: Changes) -> Self {
        match self {
            Self::Rings(request) => Self::Rings(RingRequest { route, ..request }),
            Self::Finding(request) => Self::Finding(PatternRequest { route, ..request }),
            Self::Chain(mut request) => {
                request.ring.route = route;
                Self::Chain(request)
            }
        }
    }

    /// The piece in a sentence, in the unit read first.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::words::length::LengthUnit;
    /// use lorimant_core::piece::Piece;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// assert!(Piece::Finding(hook).sentence(LengthUnit::Mm).starts_with("1 hook clasp in "));
    /// ```
    pub fn sentence(&self, unit: LengthUnit) -> String {
        sentence::text(&match self {
            Self::Rings(request) => ring::sentence::write(request, request.plan().ok().as_ref(), unit),
            Self::Finding(request) => pattern::sentence::write(request, unit),
            Self::Chain(request) => chain::sentence::write(request, request.ring_size().ok(), unit),
        })
    }

    /// The piece as lists show it: a finding from the front, or one ring of a plan.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
    /// assert!(hook.thumbnail(&Workshop::default()).unwrap().cut.starts_with("cut "));
    /// ```
    ///
    /// # Errors
    /// The faults of the plan or finding.
    pub fn thumbnail(&self, workshop: &Workshop) -> Result<Thumbnail, Faults> {
        match self {
            Self::Rings(request) => request.thumbnail(workshop),
            Self::Finding(request) => request.thumbnail(workshop),
            Self::Chain(request) => request.thumbnail(workshop),
        }
    }

    /// What is cut for it by this workshop's methods and ruler: a finding's blanks; of rings one length a coil, tails
    /// included.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let blanks = Piece::Finding(hook).with_count(12).blanks(&Workshop::default()).unwrap();
    /// assert_eq!(blanks.n, 12);
    /// assert!(blanks.shown(LengthUnit::Mm).starts_with("12 blanks of "));
    /// ```
    ///
    /// # Errors
    /// The faults of the plan or finding.
    pub fn blanks(&self, workshop: &Workshop) -> Result<Blanks, Faults> {
        Ok(self.finished(workshop)?.blanks())
    }

    /// The ring plans behind it, as many rings as it takes: its own of rings, those of its parts of a chain, none of a
    /// finding.
    ///
    /// # Errors
    /// The faults of the chain.
    pub fn ring_plans(&self) -> Result<Vec<RingRequest>, Faults> {
        match self {
            Self::Rings(request) => Ok(vec![request.clone()]),
            Self::Finding(_) => Ok(vec![]),
            Self::Chain(request) => {
                Ok(std::iter::once(request.rings()?).chain(request.second_rings()?).collect())
            }
        }
    }

    /// How many workpieces go through its route: rings, also of a chain; or blanks of a finding.
    #[must_use]
    pub fn workpieces_n(&self) -> u32 {
        match self {
            Self::Rings(request) => request.rings_n,
            Self::Finding(request) => request.blanks_n(),
            Self::Chain(request) => request.rings().map_or(0, |rings| rings.rings_n),
        }
    }
}
