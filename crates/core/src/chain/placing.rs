//! Building a chain: which rings are shut beforehand, which come open, in what order, through what.
//!
//! Two shut rings cannot go through each other, so those shut beforehand are rings of which no two are linked: as many as
//! can be. A ring that comes last into a fold must come open. Each open ring, when its turn comes, takes up the shut ones
//! that hang on it and are not there yet, and goes through those that are.

use serde::Serialize;

use super::ChainRequest;
use super::geometry::RingDrawn;
use super::weave::{LinkSide, Weave, name};
use crate::fault::{Fault, Faults};
use crate::making::operations::gap_mm;
use crate::words::length::{LengthUnit, caliper};
use crate::words::listed;
use lorimant_text::text;

/// Most cells in which the shut rings come again.
const MOST_CELLS: usize = 4;
/// Most rings over which all ways to shut some are tried.
const MOST_TRIED: usize = 18;

/// A ring of a chain: its cell along and across, and its place in the cell.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, PartialOrd, Ord)]
pub struct At {
    /// The cell along the length, from 0.
    pub cell: u32,
    /// The cell across, from 0; 0 of a chain.
    pub aside: u32,
    /// The ring in the cell, from 0.
    pub ring: usize,
}

/// The order in which a chain is built.
#[derive(Debug, Clone)]
pub struct Building<'a> {
    weave: &'a Weave,
    cells_n: u32,
    across_n: u32,
    /// Whether each ring is shut beforehand, over the cells in which that comes again.
    shut: Vec<Vec<bool>>,
}

/// A ring put in.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Placed {
    /// The ring.
    pub ring: At,
    /// Those there that it goes through.
    pub through: Vec<At>,
    /// Shut ones that it takes up.
    pub picks_up: Vec<At>,
}

/// A placing as a maker reads it.
#[derive(Debug, Clone, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Placing {
    /// Its place in the order, from 1.
    pub n: u32,
    /// Of so many.
    pub of_n: u32,
    /// The row it is in, from 1.
    pub row: u32,
    /// Of so many rows.
    pub rows_n: u32,
    /// Which ring of the row it is, from 1.
    pub ring_in_row_n: u32,
    /// Of so many open ones in the row.
    pub of_row: u32,
    /// The ring in words: `C, a fold`.
    pub ring: String,
    /// What it goes through, in words.
    pub through: Vec<String>,
    /// What shut rings it takes up, in words.
    pub picks_up: Vec<String>,
    /// The instruction.
    pub text: String,
    /// How a mistake here shows, and how far to open up.
    pub if_wrong: String,
}

/// Where one is in building all chains of a plan, and what comes next.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct PlacingShown {
    /// The placing; none once all rings of all chains are in.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub placing: Option<Placing>,
    /// The rings there, the new one first.
    pub rings: Vec<RingDrawn>,
    /// Which chain it is, from 1.
    pub chain: u32,
    /// Of so many.
    pub of_chains_n: u32,
    /// Rings put in before this one, over all chains.
    pub done_n: u32,
    /// Of so many, over all chains.
    pub of_n: u32,
    /// Rings put in once this row is done, over all chains.
    pub row_done_n: u32,
}

impl ChainRequest {
    /// What comes next where so many rings are in, over all chains of the plan; where whole rows were counted instead, what
    /// comes after so many of the chain in hand.
    ///
    /// # Errors
    /// As [`ChainRequest::plan`].
    pub fn placing(
        &self,
        done_n: u32,
        rows_n: Option<u32>,
        unit: LengthUnit,
    ) -> Result<PlacingShown, Faults> {
        let plan = self.plan()?;
        let laid = self.laid()?;
        let building = Building::of(laid.weave, plan.cells_n, plan.across_n)?;
        let (each, of_n) = (plan.open_n, plan.open_n * self.chains_n);
        let done_n = done_n.min(of_n);
        let chain = (done_n / each).min(self.chains_n - 1);
        let before = chain * each;
        let within = rows_n.map_or(done_n - before, |rows| building.before_row(rows.saturating_add(1)));
        let placing = building.placing(within, self.ring.wire.size_mm, unit);
        let row = placing.as_ref().map_or(plan.cells_n, |placing| placing.row);
        Ok(PlacingShown {
            rings: laid.at_placing(&building, within),
            chain: chain + 1,
            of_chains_n: self.chains_n,
            done_n: before + within,
            of_n,
            row_done_n: before + building.before_row(row + 1),
            placing,
        })
    }
}

impl<'a> Building<'a> {
    /// A chain of so many cells; a sheet so many across.
    ///
    /// ```
    /// use lorimant_core::chain::placing::Building;
    /// use lorimant_core::chain::weaves::by_word;
    ///
    /// let weave = &by_word("two-in-two").unwrap().weave;
    /// let building = Building::of(weave, 10, 1).unwrap();
    /// // Every other pair is shut beforehand.
    /// assert_eq!((building.shut_n(), building.open_n()), (10, 10));
    /// ```
    ///
    /// # Errors
    /// A fault where it has no cell.
    pub fn of(weave: &'a Weave, cells_n: u32, across_n: u32) -> Result<Self, Faults> {
        if cells_n == 0 || across_n == 0 {
            return Err(Fault::new("length_mm", text!("placing-shorter-than-one-repeat-weave")).into());
        }
        let across_n = if weave.is_sheet() { across_n } else { 1 };
        Ok(Self { weave, cells_n, across_n, shut: shut_of(weave) })
    }

    /// Whether a ring is shut beforehand.
    #[must_use]
    pub fn is_shut(&self, at: At) -> bool {
        self.shut[at.cell as usize % self.shut.len()][at.ring]
    }

    /// How many rings are shut beforehand.
    #[must_use]
    pub fn shut_n(&self) -> u32 {
        (0..self.weave.parts().len()).map(|part| self.shut_of_part_n(part)).sum()
    }

    /// How many of those of one part are.
    #[must_use]
    pub fn shut_of_part_n(&self, part: usize) -> u32 {
        let of = |cell: &Vec<bool>| {
            let rings = cell.iter().enumerate();
            let shut = rings.filter(|(ring, shut)| **shut && self.weave.part_of(*ring) == part);
            u32::try_from(shut.count()).unwrap_or(0)
        };
        let (whole, rest) = (self.cells_n / self.period(), (self.cells_n % self.period()) as usize);
        let per_period: u32 = self.shut.iter().map(of).sum();
        (whole * per_period + self.shut[..rest].iter().map(of).sum::<u32>()) * self.across_n
    }

    /// How many come open.
    #[must_use]
    pub fn open_n(&self) -> u32 {
        self.rings_n() - self.shut_n()
    }

    /// All rings.
    #[must_use]
    pub fn rings_n(&self) -> u32 {
        u32::try_from(self.weave.rings_n()).unwrap_or(0) * self.cells_n * self.across_n
    }

    /// The rings a ring is linked with in this chain; at its ends some are missing.
    pub fn linked_with(&self, at: At) -> impl Iterator<Item = At> + '_ {
        self.weave.linked_with(at.ring).filter_map(move |(ring, on, aside)| {
            let cell = at.cell.checked_add_signed(on).filter(|cell| *cell < self.cells_n)?;
            let aside = at.aside.checked_add_signed(aside).filter(|aside| *aside < self.across_n)?;
            Some(At { cell, aside, ring })
        })
    }

    /// The open rings in the order they are put in.
    pub fn open(&self) -> impl Iterator<Item = At> + '_ {
        let cells = (0..self.cells_n).flat_map(|cell| (0..self.across_n).map(move |aside| (cell, aside)));
        cells
            .flat_map(|(cell, aside)| (0..self.weave.rings_n()).map(move |ring| At { cell, aside, ring }))
            .filter(|at| !self.is_shut(*at))
    }

    /// The `n`th open ring put in, from 0; `None` beyond the last.
    #[must_use]
    pub fn nth(&self, n: u32) -> Option<At> {
        // Whole periods are passed over at once: a long chain has tens of thousands of cells.
        let per_period = self.open_before(self.period());
        let periods = n.checked_div(per_period)?;
        let mut left = n - periods * per_period;
        for cell in periods.checked_mul(self.period())?..self.cells_n {
            let open = self.open_in(cell);
            let each = u32::try_from(open.len()).ok()?;
            if left < each * self.across_n {
                return Some(At { cell, aside: left / each, ring: open[(left % each) as usize] });
            }
            left -= each * self.across_n;
        }
        None
    }

    /// In how many rows the order comes again.
    #[must_use]
    pub fn period(&self) -> u32 {
        u32::try_from(self.shut.len()).unwrap_or(1)
    }

    /// The open rings of a cell.
    fn open_in(&self, cell: u32) -> Vec<usize> {
        let shut = &self.shut[cell as usize % self.shut.len()];
        (0..shut.len()).filter(|ring| !shut[*ring]).collect()
    }

    /// What a ring goes through and takes up when it is put in, in this order.
    #[must_use]
    pub fn placed(&self, ring: At) -> Placed {
        let (mut through, mut picks_up) = (vec![], vec![]);
        for other in self.linked_with(ring) {
            if self.is_shut(other) {
                // It is there if an open ring before this one took it up.
                let there = self.linked_with(other).any(|one| !self.is_shut(one) && one < ring);
                if there { &mut through } else { &mut picks_up }.push(other);
            } else if other < ring {
                through.push(other);
            }
        }
        through.sort_unstable();
        picks_up.sort_unstable();
        Placed { ring, through, picks_up }
    }

    /// The `n`th placing, from 0, as a maker reads it, in the unit read first; `None` once all are in.
    #[must_use]
    pub fn placing(&self, n: u32, wire_mm: f64, unit: LengthUnit) -> Option<Placing> {
        let at = self.nth(n)?;
        let placed = self.placed(at);
        let each = u32::try_from(self.open_in(at.cell).len()).ok()?;
        let place = self.open_in(at.cell).iter().position(|ring| *ring == at.ring)?;
        let ring_in_row_n = at.aside * each + u32::try_from(place).ok()? + 1;
        let ring = format!("{}, {}", self.named(at, at).letter, self.weave.rings[at.ring]);
        let named = |all: &[At]| all.iter().map(|one| self.named(*one, at)).collect::<Vec<_>>();
        let (through, picks_up) = (named(&placed.through), named(&placed.picks_up));
        let text = self.told(n, &placed, &through, &picks_up);
        Some(Placing {
            n: n + 1,
            of_n: self.open_n(),
            row: at.cell + 1,
            rows_n: self.cells_n,
            ring_in_row_n,
            of_row: each * self.across_n,
            if_wrong: self.if_wrong(&placed, &through, (wire_mm, unit)),
            ring,
            through: through.iter().map(RingName::told).collect(),
            picks_up: picks_up.iter().map(RingName::told).collect(),
            text,
        })
    }

    /// How many placings there are before a row, counted from 1; all of them beyond the last. A lost place is found again
    /// by it: count the rows that hang together.
    #[must_use]
    pub fn before_row(&self, row: u32) -> u32 {
        let cells_n = row.saturating_sub(1).min(self.cells_n);
        let period = self.period();
        cells_n / period * self.open_before(period) + self.open_before(cells_n % period)
    }

    /// How many placings the first cells have, at most a period of them.
    fn open_before(&self, cells_n: u32) -> u32 {
        (0..cells_n).map(|cell| u32::try_from(self.open_in(cell).len()).unwrap_or(0) * self.across_n).sum()
    }

    /// A ring's name, with its row where that is another than of `from`.
    fn named(&self, at: At, from: At) -> RingName {
        let aside = if self.across_n > 1 { format!("{}", at.aside + 1) } else { String::new() };
        let row = (at.cell != from.cell).then_some(at.cell + 1);
        RingName { letter: format!("{}{aside}", name(at.ring)), row }
    }

    fn told(&self, n: u32, placed: &Placed, through: &[RingName], takes_up: &[RingName]) -> String {
        let mut told = String::new();
        let held = self.weave.folds.iter().filter(|fold| {
            let holds = |at: &super::weave::RingAt| {
                at.ring == placed.ring.ring
                    && fold.held_by.iter().all(|other| other.ring >= at.ring)
                    && placed.through.iter().any(|one| {
                        one.ring == fold.ring
                            && i64::from(placed.ring.cell) - i64::from(one.cell) == i64::from(at.cells_along)
                    })
            };
            fold.held_by.iter().any(holds) && fold.held_by.iter().any(|at| at.cells_along > 0)
        });
        let folded: Vec<RingName> = held
            .filter_map(|fold| placed.through.iter().find(|one| one.ring == fold.ring))
            .map(|one| self.named(*one, placed.ring))
            .collect();
        if !folded.is_empty() {
            let over = self.weave.folds.iter().find(|fold| {
                placed.through.iter().any(|one| one.ring == fold.ring)
                    && fold.held_by.iter().any(|at| at.cells_along > 0)
            });
            let over = over.map_or_else(String::new, |fold| listed(&fold.over.map(|at| name(at.ring))));
            let all = all_of(&folded);
            told += &text!("placing-fold-back-over-their-row", all, over);
        }
        match takes_up {
            [] => {
                told += &text!("placing-take-open-ring", named = self.named(placed.ring, placed.ring).letter)
            }
            shut => {
                told += &text!(
                    "placing-put-on-open-ring",
                    shut = text!("count-pre-closed-ring", n = shut.len()),
                    shut2 = all_of(shut),
                    named = self.named(placed.ring, placed.ring).letter
                );
            }
        }
        match through {
            [] if n == 0 => {
                told += text!("placing-close-hang-loop-scrap-wire");
            }
            [] => told += text!("placing-close-lay-beside-others-its"),
            there => told += &text!("placing-pass-through-close", there = all_of(there)),
        }
        if let (Some(side), [_, _, ..]) = (self.weave.side, through) {
            told += match side {
                LinkSide::Same => text!("placing-both-from-same-side"),
                LinkSide::Alternating => text!("placing-one-from-each-side"),
            };
        }
        told
    }

    fn if_wrong(&self, placed: &Placed, through: &[RingName], (wire_mm, unit): (f64, LengthUnit)) -> String {
        let gap = caliper(gap_mm(wire_mm), unit);
        let open_up = text!("placing-open-this-ring-only-sideways", gap);
        match through {
            [] => text!("placing-nothing-hangs-on-yet-take", open_up),
            [only] => {
                let ring = self.named(placed.ring, placed.ring).letter;
                text!("placing-if-missed-comes-away-when", only = only.told(), ring, open_up)
            }
            [.., last] => {
                let ring = self.named(placed.ring, placed.ring).letter;
                text!("placing-one-link-short-if-missed", ring, last = last.told(), open_up)
            }
        }
    }
}

/// A ring as a sentence names it: its letter, and its row where that is another than the one that is worked on.
struct RingName {
    letter: String,
    row: Option<u32>,
}

impl RingName {
    fn told(&self) -> String {
        self.row.map_or_else(|| self.letter.clone(), |cell| text!("placing-row", letter = self.letter, cell))
    }
}

/// Names in a sentence, those of one row together: `E and F of row 2`, `A, B and D of row 3`.
fn all_of(names: &[RingName]) -> String {
    let mut by_row: Vec<(Option<u32>, Vec<String>)> = vec![];
    for RingName { letter, row } in names {
        match by_row.iter_mut().find(|(known, _)| known == row) {
            Some((_, letters)) => letters.push(letter.clone()),
            None => by_row.push((*row, vec![letter.clone()])),
        }
    }
    let rows = by_row.into_iter().map(|(row, letters)| RingName { letter: listed(&letters), row }.told());
    listed(&rows.collect::<Vec<_>>())
}

/// Which rings are shut beforehand, over the fewest cells in which any can be.
fn shut_of(weave: &Weave) -> Vec<Vec<bool>> {
    let k = weave.rings_n();
    // What holds a fold that was made before is put in last, through it.
    let last: Vec<usize> = weave
        .folds
        .iter()
        .flat_map(|fold| &fold.held_by)
        .filter(|at| at.cells_along > 0)
        .map(|at| at.ring)
        .collect();
    for cells in 1..=MOST_CELLS {
        let n = k * cells;
        if n > MOST_TRIED || (weave.is_sheet() && cells > 1) {
            break;
        }
        // Rings linked with each ring, those of later cells counted round.
        let linked: Vec<u32> = (0..n)
            .map(|i| {
                let round = i32::try_from(cells).unwrap_or(1);
                weave.linked_with(i % k).fold(0, |all, (ring, on, _)| {
                    let cell = (i32::try_from(i / k).unwrap_or(0) + on).rem_euclid(round);
                    all | 1 << (usize::try_from(cell).unwrap_or(0) * k + ring)
                })
            })
            .collect();
        let may = |shut: u32| {
            (0..n).all(|i| shut & 1 << i == 0 || (linked[i] & shut == 0 && !last.contains(&(i % k))))
        };
        let best = (1_u32..1 << n).filter(|shut| may(*shut)).max_by_key(|shut| (shut.count_ones(), *shut));
        if let Some(best) = best {
            return (0..cells)
                .map(|cell| (0..k).map(|ring| best & 1 << (cell * k + ring) != 0).collect())
                .collect();
        }
    }
    vec![vec![false; k]]
}
