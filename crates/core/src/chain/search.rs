//! Looking for the best pose of a weave from several starts.

use std::cell::Cell;

use glam::DVec3;
use serde::Serialize;

use super::pose::{Pair, Pose};
use super::relax::{Relaxing, Solved};
use super::torus::Torus;
use super::weave::{Repeats, Weave};
use crate::chance::Chance;
use crate::fault::{Fault, Faults};
use lorimant_text::{Text, text};

/// How far a search has come.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct RelaxProgress {
    /// Starts tried.
    pub tried_n: u32,
    /// Of so many.
    pub of_n: u32,
    /// The smallest ratio so far; none before one is found.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub smallest_ratio: Option<f64>,
}

/// A search that is watched: whoever waits is told how far it is, and asked whether to go on, between starts and within
/// them.
pub struct Watch<'a> {
    go_on: &'a dyn Fn(RelaxProgress) -> bool,
    far: Cell<RelaxProgress>,
}

impl<'a> Watch<'a> {
    /// Of a search that is about to begin.
    #[must_use]
    pub fn of(go_on: &'a dyn Fn(RelaxProgress) -> bool, effort: Effort) -> Self {
        let far = RelaxProgress { tried_n: 0, of_n: effort.starts_n, smallest_ratio: None };
        Self { go_on, far: Cell::new(far) }
    }

    /// Tells that it has come so far; whether to go on.
    #[must_use]
    pub fn at(&self, far: RelaxProgress) -> bool {
        self.far.set(far);
        (self.go_on)(far)
    }

    /// Whether to go on from where it is.
    #[must_use]
    pub fn goes_on(&self) -> bool {
        (self.go_on)(self.far.get())
    }
}

impl std::fmt::Debug for Watch<'_> {
    fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        f.debug_struct("Watch").field("far", &self.far).finish_non_exhaustive()
    }
}

/// How long to look.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Effort {
    /// Starts to try.
    pub starts_n: u32,
    /// Where the starts are drawn from.
    pub seed: u64,
}

impl Effort {
    /// What is tried while a maker waits: fewer starts for more rings, so that it stays under two seconds.
    ///
    /// ```
    /// use lorimant_core::chain::search::Effort;
    ///
    /// assert!(Effort::usual(1).starts_n > Effort::usual(7).starts_n);
    /// ```
    #[must_use]
    pub fn usual(rings_n: usize) -> Self {
        let starts_n = match rings_n {
            0..=2 => 24,
            3..=4 => 14,
            5 => 9,
            6 => 7,
            _ => 5,
        };
        Self { starts_n, seed: 1 }
    }
}

/// Wire so thick, against the first ring's core radius, is room enough to tell a tangle from a pose.
const ROOM: [f64; 2] = [0.15, 0.05];
/// Poses kept to pull taut from.
const KEPT: usize = 4;
/// What is said where nothing was found in the time there was.
const GIVEN_UP: Text = Text::named("search-nothing-found-in-time-allowed");
/// Ratios closer than this are the same pose.
const SAME: f64 = 2e-3;

impl Relaxing<'_> {
    /// The tightest poses found, the tightest first: the same starts and more never give a worse one.
    ///
    /// ```
    /// use lorimant_core::chain::relax::Relaxing;
    /// use lorimant_core::chain::search::Effort;
    /// use lorimant_core::chain::weaves::by_word;
    ///
    /// let single = &by_word("one-in-one").unwrap().weave;
    /// let found = Relaxing::alike(single).tightest(Effort::usual(1), &|_| true).unwrap();
    /// // Rings with a bore of two wires just go into each other.
    /// assert!((2.0 / found[0].wire - 1.0 - 2.0).abs() < 1e-3);
    /// ```
    ///
    /// # Errors
    /// The weave's own faults; one at `links` where no start led to a pose, with the pair that was most often in the way.
    pub fn tightest(
        &self,
        effort: Effort,
        go_on: &dyn Fn(RelaxProgress) -> bool,
    ) -> Result<Vec<Solved>, Faults> {
        let weave = self.weave();
        weave.check()?;
        let mut found: Vec<Solved> = vec![];
        let mut in_the_way: Vec<(Pair, u32)> = vec![];
        for start in 0..effort.starts_n {
            let smallest_ratio = found.first().map(Solved::ratio);
            if !go_on(RelaxProgress { tried_n: start, of_n: effort.starts_n, smallest_ratio }) {
                break;
            }
            let mut drawn = Chance::of(effort.seed.wrapping_mul(7919).wrapping_add(u64::from(start)));
            let pose = self.start(start, &mut drawn);
            let right = ROOM.iter().find_map(|wire| self.untangled_from(&pose, *wire));
            if self.is_given_up() {
                break;
            }
            let Some(right) = right else {
                for pair in self.look(&pose, 0.0).wrong {
                    match in_the_way.iter_mut().find(|(known, _)| *known == pair) {
                        Some((_, n)) => *n += 1,
                        None => in_the_way.push((pair, 1)),
                    }
                }
                continue;
            };
            let Some(solved) = self.tightest_from(&right) else { continue };
            if found
                .iter()
                .all(|known| (known.ratio() - solved.ratio()).abs() > SAME || known.wire < solved.wire)
            {
                found.push(solved);
                found.sort_by(|a, b| b.wire.total_cmp(&a.wire));
                found.truncate(KEPT);
            }
        }
        match (found.is_empty(), self.is_given_up() && in_the_way.is_empty()) {
            (false, _) => Ok(found),
            (true, true) => Err(Fault::new("links", GIVEN_UP).into()),
            (true, false) => Err(self.cannot(&in_the_way).into()),
        }
    }

    /// The longest repeat found with wire so thick, from these tight poses; `None` where none of them goes with it.
    #[must_use]
    pub fn taut(&self, from: &[Solved], wire: f64) -> Option<Solved> {
        let with_room = from.iter().filter(|solved| solved.wire >= wire - 1e-9);
        let taut = with_room.filter_map(|solved| self.taut_from(&solved.pose, wire));
        taut.max_by(|a, b| a.pose.repeat.total_cmp(&b.pose.repeat))
    }

    fn cannot(&self, in_the_way: &[(Pair, u32)]) -> Fault {
        let most = in_the_way.iter().max_by_key(|(_, n)| *n).map(|(pair, _)| *pair);
        let message = match most {
            Some(pair) if pair.linked => text!("search-none-found-under-these-links", pair = pair.named()),
            Some(pair) => text!("search-none-found-under-these-links-get", pair = pair.named()),
            None => text!("search-none-found-that-keeps-all").to_owned(),
        };
        Fault::new("links", message)
    }

    /// A pose to start from. Folded weaves start folded: out of a straight chain no fold comes by itself.
    fn start(&self, n: u32, drawn: &mut Chance) -> Pose {
        let weave = self.weave();
        if !weave.folds.is_empty()
            && n.is_multiple_of(2)
            && let Some(pose) = folded_start(weave, drawn)
        {
            return pose;
        }
        let rings_n = weave.rings_n() as f64;
        let links_each = (weave.links.len() as f64 / rings_n).max(1.0);
        let sheet = weave.is_sheet();
        let repeat = rings_n * drawn.between(0.2, 1.0) / links_each * if sheet { 1.5 } else { 1.0 };
        let across = if sheet { repeat * drawn.between(0.7, 1.3) } else { 0.0 };
        let turn = match weave.repeats {
            Repeats::Chain { turn_deg: None } => drawn.between(0.0, 3.0),
            _ => weave.turn(),
        };
        let rings = (0..weave.rings_n())
            .map(|i| {
                let at = i as f64 / rings_n;
                let off = around(drawn, 0.5);
                let y = if sheet { across * at + across * off.y / rings_n } else { off.y };
                let center = DVec3::new(repeat * at + repeat * off.x / rings_n, y, off.z);
                let axis = around(drawn, 1.0).try_normalize().unwrap_or(DVec3::Z);
                Torus { center, axis, radius: 1.0 }
            })
            .collect();
        Pose { rings, repeat, across, turn }
    }
}

/// Somewhere in a cube about the middle, as far as this to each side.
fn around(drawn: &mut Chance, far: f64) -> DVec3 {
    DVec3::new(drawn.between(-far, far), drawn.between(-far, far), drawn.between(-far, far))
}

/// Two pairs folded over each other: one leans forward and out to two sides, the other back and out to the other two, so
/// that each is held near the chain's middle by what comes before or after. What is not folded lies between.
fn folded_start(weave: &Weave, drawn: &mut Chance) -> Option<Pose> {
    const OFF: f64 = 0.08;
    let behind = |fold: &&super::weave::Fold| fold.held_by.iter().all(|at| at.cells_along > 0);
    let back: Vec<usize> = weave.folds.iter().filter(behind).map(|fold| fold.ring).collect();
    let forth: Vec<usize> = weave.folds.iter().filter(|fold| !behind(fold)).map(|fold| fold.ring).collect();
    let [[a, b], [c, d]] = [<[usize; 2]>::try_from(forth).ok()?, <[usize; 2]>::try_from(back).ok()?];
    let between: Vec<usize> = (0..weave.rings_n()).filter(|ring| ![a, b, c, d].contains(ring)).collect();
    let (half, tilt) = (drawn.between(0.3, 0.8), drawn.between(0.4, 0.9));
    let (sin, cos) = tilt.sin_cos();
    let mut rings = vec![Torus { center: DVec3::ZERO, axis: DVec3::Z, radius: 1.0 }; weave.rings_n()];
    let mut put = |ring: usize, center: DVec3, axis: DVec3| {
        rings[ring] = Torus { center, axis: axis.normalize(), radius: 1.0 };
    };
    for (ring, side) in [(a, 1.0), (b, -1.0)] {
        put(ring, DVec3::new(cos - half, side * (sin + OFF), 0.0), DVec3::new(sin, -cos * side, 0.0));
    }
    for (ring, side) in [(c, 1.0), (d, -1.0)] {
        put(ring, DVec3::new(half - cos, 0.0, side * (sin + OFF)), DVec3::new(sin, 0.0, cos * side));
    }
    let repeat = match between[..] {
        [] => 2.0 * half - 0.2,
        [one, other] => {
            for (ring, side) in [(one, 1.0), (other, -1.0)] {
                put(ring, DVec3::new(-half - 0.8, 0.0, 0.1 * side), DVec3::Z);
            }
            2.0 * (half + 0.8)
        }
        _ => return None,
    };
    Some(Pose { rings, repeat, across: 0.0, turn: weave.turn() })
}

impl Solved {
    /// The ratio of inside to wire of a ring of relative size 1.
    #[must_use]
    pub fn ratio(&self) -> f64 {
        ratio_of(self.wire)
    }
}

/// The ratio of inside to wire, where the wire is so thick against the core radius.
#[must_use]
pub fn ratio_of(wire: f64) -> f64 {
    2.0 / wire - 1.0
}

/// How thick the wire is against the core radius, at a ratio of inside to wire.
///
/// ```
/// use lorimant_core::chain::search::{ratio_of, wire_at};
///
/// assert!((ratio_of(wire_at(4.5)) - 4.5).abs() < 1e-12);
/// ```
#[must_use]
pub fn wire_at(ratio: f64) -> f64 {
    2.0 / (ratio + 1.0)
}
