//! A pose: where the rings of a cell lie and how far the next cell is, and what is so of it: what touches, what is linked,
//! what is folded.

use std::f64::consts::{PI, TAU};

use glam::{DMat3, DVec3};
use serde::{Deserialize, Serialize};

use super::torus::{Around, Torus, Touch};
use super::weave::{Fold, RingAt, Weave, name_at};
use lorimant_text::text;

/// Where the rings of a cell lie, and how the cell goes on. The chain's length is along x; a sheet's breadth along y.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
pub struct Pose {
    /// The rings of the cell.
    pub rings: Vec<Torus>,
    /// From a cell to the next along the length, in the unit of the rings.
    pub repeat: f64,
    /// From a cell to the next across, in the same unit, of a sheet; nothing of a chain.
    pub across: f64,
    /// How far each cell is turned against the one before, radians.
    pub turn: f64,
}

/// How thick the wire of each ring is against the others': 1 and 1 where all are alike.
pub type Thickness = [f64];

/// Two rings that could come near each other: one of the cell, and another so many cells on and aside.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Pair {
    /// A ring of the cell.
    pub ring: usize,
    /// The other.
    pub other: usize,
    /// How many cells on that is.
    pub cells_along: i32,
    /// How many cells aside.
    pub cells_across: i32,
    /// Whether the weave links them.
    pub linked: bool,
}

impl Pair {
    /// The two in words.
    #[must_use]
    pub fn named(&self) -> String {
        text!(
            "pose-ring",
            ring = name_at(self.ring, 0, 0),
            other = name_at(self.other, self.cells_along, self.cells_across)
        )
    }
}

/// What is so of a pose.
#[derive(Debug, Clone, PartialEq)]
pub struct Seen {
    /// The thickest wire that every pair leaves room for, in the unit of the rings; nothing, where a pair is linked that is
    /// not to be, or is not that is.
    pub room: f64,
    /// The pair that leaves least.
    pub tightest: Option<Pair>,
    /// Pairs that are linked and are not to be, or the other way.
    pub wrong: Vec<Pair>,
    /// Whether what is to be folded is.
    pub folded: bool,
}

impl Seen {
    /// Whether it is this weave, whatever the wire.
    #[must_use]
    pub fn is_right(&self) -> bool {
        self.wrong.is_empty() && self.folded
    }
}

/// Most cells on in which a pair is looked for: a pose with so short a repeat is no chain.
const MOST_CELLS: i32 = 40;

impl Pose {
    /// How a cell so many on and aside lies against this one: its turn and its shift.
    #[must_use]
    pub fn cell(&self, weave: &Weave, cells_on: i32, cells_aside: i32) -> (DMat3, DVec3) {
        let (on, aside) = (f64::from(cells_on), f64::from(cells_aside));
        let shift = DVec3::new(self.repeat * on, self.across * aside, 0.0);
        let turn = if weave.is_sheet() { DMat3::IDENTITY } else { DMat3::from_rotation_x(self.turn * on) };
        (turn, shift)
    }

    /// A ring of a cell so many on and aside.
    #[must_use]
    pub fn ring(&self, weave: &Weave, ring: usize, cells_on: i32, cells_aside: i32) -> Torus {
        let (turn, shift) = self.cell(weave, cells_on, cells_aside);
        self.rings[ring].moved(&turn, shift)
    }

    /// The same pose, everything so many times as large.
    #[must_use]
    pub fn scaled(&self, by: f64) -> Self {
        let ring = |ring: &Torus| Torus { center: ring.center * by, radius: ring.radius * by, ..*ring };
        Self {
            rings: self.rings.iter().map(ring).collect(),
            repeat: self.repeat * by,
            across: self.across * by,
            turn: self.turn,
        }
    }

    /// Every pair that is linked, or could come nearer to each other than `reach`; each once.
    #[must_use]
    pub fn pairs(&self, weave: &Weave, reach: f64) -> Vec<Pair> {
        let widest = self.rings.iter().map(|ring| ring.radius).fold(0.0, f64::max);
        let cells = |of: &dyn Fn(&Torus) -> f64, step: f64| {
            let (low, high) = self
                .rings
                .iter()
                .map(of)
                .fold((f64::MAX, f64::MIN), |(low, high), at| (low.min(at), high.max(at)));
            let cells = (2.0 * widest + reach + high - low) / step.abs().max(1e-3 * widest);
            #[expect(clippy::cast_possible_truncation, reason = "bounded just after")]
            let cells = cells.ceil().min(f64::from(MOST_CELLS)) as i32;
            cells
        };
        let on = cells(&|ring| ring.center.x, self.repeat);
        let aside = if weave.is_sheet() { cells(&|ring| ring.center.y, self.across) } else { 0 };
        let mut pairs = vec![];
        for cells_along in 0..=on {
            for cells_across in -aside..=aside {
                if cells_along == 0 && cells_across < 0 {
                    continue;
                }
                let (turn, shift) = self.cell(weave, cells_along, cells_across);
                for other in 0..self.rings.len() {
                    let there = self.rings[other].moved(&turn, shift);
                    for ring in 0..self.rings.len() {
                        if (cells_along, cells_across) == (0, 0) && ring >= other {
                            continue;
                        }
                        let here = &self.rings[ring];
                        let linked = weave.links_to(ring, other, cells_along, cells_across);
                        let near = here.radius + there.radius + reach;
                        if linked || here.center.distance_squared(there.center) < near * near {
                            pairs.push(Pair { ring, other, cells_along, cells_across, linked });
                        }
                    }
                }
            }
        }
        pairs
    }

    /// Both rings of a pair.
    #[must_use]
    pub fn both(&self, weave: &Weave, pair: &Pair) -> (Torus, Torus) {
        (self.rings[pair.ring], self.ring(weave, pair.other, pair.cells_along, pair.cells_across))
    }

    /// Whether a pair is linked, or not, as the weave says, and from the side it says.
    #[must_use]
    pub fn is_woven(&self, weave: &Weave, pair: &Pair, (here, there): (&Torus, &Torus)) -> bool {
        if here.linked(there) != pair.linked {
            return false;
        }
        let of_itself = pair.linked && pair.ring == pair.other && pair.cells_along > 1;
        let Some(side) = weave.side.filter(|_| of_itself) else { return true };
        let next = here.goes_along(&self.ring(weave, pair.ring, 1, 0));
        let this = here.goes_along(there);
        next.is_none() || (this == next) == side.as_the_next(pair.cells_along)
    }

    /// Looks at every pair that could leave less room than wire of thickness `reach` needs.
    ///
    /// ```
    /// use glam::DVec3;
    /// use lorimant_core::chain::pose::Pose;
    /// use lorimant_core::chain::torus::{Around, Torus};
    /// use lorimant_core::chain::weaves::by_word;
    ///
    /// // Rings of core radius 3 whose middles are 5 apart: the wire between them may be 1 thick.
    /// let ring = Torus { center: DVec3::ZERO, axis: DVec3::Z, radius: 3.0 };
    /// let turn = std::f64::consts::FRAC_PI_2;
    /// let pose = Pose { rings: vec![ring], repeat: 5.0, across: 0.0, turn };
    /// let seen = pose.look(&by_word("one-in-one").unwrap().weave, &[1.0], 1.0, &Around::of(64));
    /// assert!(seen.is_right() && (seen.room - 1.0).abs() < 1e-9);
    /// ```
    #[must_use]
    pub fn look(&self, weave: &Weave, thickness: &Thickness, reach: f64, around: &Around) -> Seen {
        let mut seen = Seen { room: f64::MAX, tightest: None, wrong: vec![], folded: self.folded(weave) };
        let thickest = thickness.iter().copied().fold(0.0, f64::max);
        for pair in self.pairs(weave, reach * thickest) {
            let (here, there) = self.both(weave, &pair);
            let needs = f64::midpoint(thickness[pair.ring], thickness[pair.other]);
            let mut room = here.clearance(&there, around) / needs;
            if !self.is_woven(weave, &pair, (&here, &there)) {
                seen.wrong.push(pair);
                room = 0.0;
            }
            if room < seen.room {
                (seen.room, seen.tightest) = (room, Some(pair));
            }
        }
        seen
    }

    /// Whether everything that is to be folded is.
    #[must_use]
    pub fn folded(&self, weave: &Weave) -> bool {
        weave.folds.iter().all(|fold| self.fold_arc(weave, fold).is_some_and(|arc| arc > PI))
    }

    /// Over how much of its turn a folded ring holds what it is folded over, radians: between where the two go through it,
    /// on the side away from what holds it. `None` where they are not linked so, or what holds it is not all on one side.
    #[must_use]
    pub fn fold_arc(&self, weave: &Weave, fold: &Fold) -> Option<f64> {
        let ring = self.rings[fold.ring];
        let angle = |at: &RingAt| {
            let other = self.ring(weave, at.ring, at.cells_along, 0);
            ring.through(&other).map(|point| ring.angle_of(point))
        };
        let (from, to) = (angle(&fold.over[0])?, angle(&fold.over[1])?);
        let between = (to - from).rem_euclid(TAU);
        let mut inside = fold.held_by.iter().map(|at| Some((angle(at)? - from).rem_euclid(TAU) < between));
        let first = inside.next()??;
        if inside.any(|one| one != Some(first)) {
            return None;
        }
        Some(if first { TAU - between } else { between })
    }
}

/// What each touch of a pair says, for the solver: where, and whether the pair is on the wrong side of it.
pub(super) fn touches_of(
    here: &Torus,
    there: &Torus,
    wrong: bool,
    around: &Around,
    (reach, band): (f64, f64),
    into: &mut Vec<Touch>,
) {
    into.clear();
    if wrong {
        // They have to pass through each other: where they are nearest.
        here.touches(there, around, f64::MAX, 0.0, into);
        into.sort_by(|a, b| a.apart.total_cmp(&b.apart));
        into.truncate(1);
    } else {
        here.touches(there, around, reach, band, into);
    }
}
