//! Pieces matched into pairs or sets, so that those who hang together are as alike as can be.

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults};
use lorimant_text::text;

/// A measured piece, by its number in the batch.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct MeasuredPiece {
    /// Its number.
    pub piece_n: u32,
    /// What it measured, one value for each dimension, mm.
    pub mm: Vec<f64>,
}

/// Pieces that go together.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct MatchedSet {
    /// Their numbers.
    pub pieces_n: Vec<u32>,
    /// The largest difference among them in any dimension, as a share of what that dimension is allowed.
    pub mismatch: f64,
    /// The same of the worst dimension, mm.
    pub mismatch_mm: f64,
    /// Which dimension that is, by its place in the list.
    pub worst: usize,
    /// Whether that is within what the workshop lets pass.
    pub passes: bool,
}

/// A batch, matched.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Matching {
    /// The sets, the most alike first.
    pub sets: Vec<MatchedSet>,
    /// Who is left over.
    pub left_over_n: Vec<u32>,
    /// Whether no other matching of these pieces has more sets that pass, or as many that are more alike.
    pub least: bool,
}

/// Most pieces matched at once.
pub const MOST_PIECES: usize = 20_000;
/// So many pieces are paired exactly; the time grows with the third power.
const MOST_EXACTLY: usize = 200;
/// How often every piece is tried in the place of its neighbours.
const ROUNDS: usize = 40;
/// How many of the nearest each piece is compared with when swapping.
const NEAR: usize = 12;

/// Matches pieces into sets of `size`, each dimension allowed `tolerance_mm` of it. As many sets as can be pass; among such
/// matchings the sum over all sets of the worst mismatch, as a share of what is allowed, is least. Up to 200 pieces are
/// paired exactly, in any number of dimensions. More, or larger sets, are put together by neighbours, along one dimension
/// with the least sum of differences, and over several with swaps until none of two sets makes it better.
///
/// ```
/// use lorimant_core::learn::pairs::{MeasuredPiece, matched};
///
/// let piece = |piece_n: u32, mm: f64| MeasuredPiece { piece_n, mm: vec![mm] };
/// let pairs = matched(&[piece(1, 20.0), piece(2, 20.9), piece(3, 20.1), piece(4, 20.8)], &[0.4], 2).unwrap();
/// let numbers: Vec<_> = pairs.sets.iter().map(|set| set.pieces_n.clone()).collect();
/// assert_eq!(numbers, [[1, 3], [2, 4]]);
/// ```
///
/// # Errors
/// Faults where a set has fewer than two pieces, a dimension is missing or is no number, or there are too many.
pub fn matched(pieces: &[MeasuredPiece], tolerance_mm: &[f64], size: usize) -> Result<Matching, Faults> {
    matched_while(pieces, tolerance_mm, size, &mut |_| true)
}

/// The same, for as long as `go_on` says so: it is told the share that is done, from 0 to 1, and where it says no the
/// matching is the best one found until then.
///
/// # Errors
/// As [`matched`].
pub fn matched_while(
    pieces: &[MeasuredPiece],
    tolerance_mm: &[f64],
    size: usize,
    go_on: &mut dyn FnMut(f64) -> bool,
) -> Result<Matching, Faults> {
    check(pieces, tolerance_mm, size)?;
    let all = Matcher { pieces, tolerance_mm };
    let mut order: Vec<usize> = (0..pieces.len()).collect();
    order.sort_by(|a, b| {
        all.share(*a, 0).total_cmp(&all.share(*b, 0)).then(pieces[*a].piece_n.cmp(&pieces[*b].piece_n))
    });
    let (sets, left, least) = match (tolerance_mm.len(), size) {
        (_, 2) if pieces.len() <= MOST_EXACTLY => {
            let (sets, left) = all.exactly();
            (sets, left, true)
        }
        (1, _) => {
            let (sets, left) = all.in_order(&order, size);
            (sets, left, false)
        }
        _ => {
            let (sets, left) = all.swapped(&order, size, go_on);
            (sets, left, false)
        }
    };
    let mut sets: Vec<MatchedSet> = sets.into_iter().map(|set| all.told(&set)).collect();
    // To a millionth of what is allowed: what is as alike stands in the order of its numbers.
    let shown = |set: &MatchedSet| (set.mismatch * 1e6).round();
    sets.sort_by(|a, b| shown(a).total_cmp(&shown(b)).then(a.pieces_n.cmp(&b.pieces_n)));
    let left_over_n = left.into_iter().map(|i| pieces[i].piece_n).collect();
    Ok(Matching { sets, left_over_n, least })
}

fn check(pieces: &[MeasuredPiece], tolerance_mm: &[f64], size: usize) -> Result<(), Faults> {
    let mut faults = Faults::none();
    if !(2..=12).contains(&size) {
        faults.add(Fault::new("size", text!("pairs-set-cannot-be-matched-enter", size)));
    }
    if pieces.len() > MOST_PIECES {
        let message = text!("pairs-pieces-too-many-match-at", pieces = pieces.len(), MOST_PIECES);
        faults.add(Fault::new("pieces", message));
    }
    if tolerance_mm.is_empty() || tolerance_mm.iter().any(|mm| !mm.is_finite() || *mm <= 0.0) {
        faults.add(Fault::new("tolerance_mm", text!("pairs-enter-for-at-least-one")));
    }
    for (i, piece) in pieces.iter().enumerate() {
        if piece.mm.len() != tolerance_mm.len() || piece.mm.iter().any(|mm| !mm.is_finite()) {
            let message = text!(
                "pairs-piece-has-measurements-but-compared",
                piece_n = piece.piece_n,
                mm = piece.mm.len(),
                tolerance_mm = tolerance_mm.len()
            );
            faults.add(Fault::new(format!("pieces[{i}].mm"), message));
        }
    }
    faults.into_result()
}

/// Whether so much of what is allowed may pass.
fn passes(share: f64) -> bool {
    share <= 1.0 + 1e-9
}

struct Matcher<'a> {
    pieces: &'a [MeasuredPiece],
    tolerance_mm: &'a [f64],
}

/// Sets and who is left, by places in the list.
type Sets = (Vec<Vec<usize>>, Vec<usize>);

impl Matcher<'_> {
    fn share(&self, i: usize, dimension: usize) -> f64 {
        self.pieces[i].mm[dimension] / self.tolerance_mm[dimension]
    }

    /// The worst dimension of a set, and how far its pieces differ in it as a share of what is allowed.
    fn worst(&self, set: &[usize]) -> (usize, f64) {
        let differs = |d: usize| {
            let all = set.iter().map(|i| self.share(*i, d));
            let (least, most) =
                all.fold((f64::INFINITY, f64::NEG_INFINITY), |(a, b), x| (a.min(x), b.max(x)));
            if set.is_empty() { 0.0 } else { most - least }
        };
        let each = (0..self.tolerance_mm.len()).map(|d| (d, differs(d)));
        each.max_by(|a, b| a.1.total_cmp(&b.1)).unwrap_or((0, 0.0))
    }

    fn apart(&self, set: &[usize]) -> f64 {
        self.worst(set).1
    }

    /// What a set counts against a matching: how far it differs, and more than any other does where it does not pass.
    fn counts_against(&self, set: &[usize]) -> f64 {
        const FAILS: f64 = 1e6;
        let apart = self.apart(set);
        if passes(apart) { apart } else { FAILS + apart }
    }

    fn told(&self, set: &[usize]) -> MatchedSet {
        let (worst, mismatch) = self.worst(set);
        MatchedSet {
            pieces_n: set.iter().map(|i| self.pieces[*i].piece_n).collect(),
            mismatch,
            mismatch_mm: mismatch * self.tolerance_mm[worst],
            worst,
            passes: passes(mismatch),
        }
    }

    /// Along one dimension: neighbours in order, and left over is who leaves the least behind. `best[i]` is the least sum
    /// of the first `i` in order with so many of them left over.
    fn in_order(&self, order: &[usize], size: usize) -> Sets {
        let (n, over) = (order.len(), order.len() % size);
        let wide = over + 1;
        let mut best = vec![f64::INFINITY; (n + 1) * wide];
        let mut left = vec![false; (n + 1) * wide];
        best[0] = 0.0;
        for i in 1..=n {
            for o in 0..=over.min(i) {
                let at = i * wide + o;
                if o > 0 {
                    (best[at], left[at]) = (best[(i - 1) * wide + o - 1], true);
                }
                if i >= size {
                    let whole = best[(i - size) * wide + o] + self.apart(&[order[i - size], order[i - 1]]);
                    if whole < best[at] {
                        (best[at], left[at]) = (whole, false);
                    }
                }
            }
        }
        let (mut i, mut o, mut sets, mut over) = (n, over, vec![], vec![]);
        while i > 0 {
            if left[i * wide + o] {
                over.push(order[i - 1]);
                (i, o) = (i - 1, o - 1);
            } else {
                sets.push(order[i - size..i].to_vec());
                i -= size;
            }
        }
        (sets, over)
    }

    /// The pairs of which most pass, and of those the most alike: a matching of greatest weight and size in the graph of
    /// all pairs (Edmonds 1965, Galil 1986), to a ten-thousandth of what is allowed.
    fn exactly(&self) -> Sets {
        let n = self.pieces.len();
        let mut edges = vec![];
        for i in 0..n {
            for j in i + 1..n {
                edges.push((i, j, self.worth(self.apart(&[i, j]))));
            }
        }
        if edges.is_empty() {
            return (vec![], (0..n).collect());
        }
        let mates = mwmatching::Matching::new(edges).max_cardinality().solve();
        let mate = |i: usize| mates.get(i).copied().filter(|mate| *mate < n);
        let sets = (0..n).filter_map(|i| mate(i).filter(|j| i < *j).map(|j| vec![i, j])).collect();
        (sets, (0..n).filter(|i| mate(*i).is_none()).collect())
    }

    /// What a pair is worth: one that passes more than all differences together, and the more the more alike it is.
    fn worth(&self, apart: f64) -> i32 {
        const PARTS: f64 = 10_000.0;
        const MOST: f64 = 20.0 * PARTS;
        const PASSING: f64 = MOST * (MOST_EXACTLY / 2 + 1) as f64;
        let alike = MOST - (apart * PARTS).round().min(MOST);
        let worth = if passes(apart) { PASSING + alike } else { alike };
        #[expect(clippy::cast_possible_truncation, reason = "at most 21 million")]
        let worth = worth as i32;
        worth
    }

    /// Many pieces over several dimensions: neighbours in order, then swaps of two pieces between sets while one helps.
    fn swapped(&self, order: &[usize], size: usize, go_on: &mut dyn FnMut(f64) -> bool) -> Sets {
        let (mut sets, left) = self.greedy(order, size);
        let mut home = vec![usize::MAX; self.pieces.len()];
        let place = |sets: &[Vec<usize>], home: &mut Vec<usize>, s: usize| {
            sets[s].iter().for_each(|i| home[*i] = s);
        };
        (0..sets.len()).for_each(|s| place(&sets, &mut home, s));
        let mut at = vec![0; self.pieces.len()];
        order.iter().enumerate().for_each(|(k, i)| at[*i] = k);
        let all = ROUNDS * sets.len();
        for round in 0..ROUNDS {
            let mut better = false;
            for s in 0..sets.len() {
                #[expect(clippy::cast_precision_loss, reason = "a share of at most a million steps")]
                if s % 64 == 0 && !go_on((round * sets.len() + s) as f64 / all as f64) {
                    return (sets, left);
                }
                for k in 0..size {
                    let piece = sets[s][k];
                    let near = at[piece].saturating_sub(NEAR)..(at[piece] + NEAR + 1).min(order.len());
                    for other in near {
                        let t = home[order[other]];
                        if t == s || t == usize::MAX {
                            continue;
                        }
                        better |= self.swap_best(&mut sets, (s, k), t, &mut home);
                    }
                }
            }
            if !better {
                break;
            }
        }
        (sets, left)
    }

    /// Swaps a piece with the best of another set, where that makes the two sets more alike.
    fn swap_best(
        &self,
        sets: &mut [Vec<usize>],
        (s, k): (usize, usize),
        t: usize,
        home: &mut [usize],
    ) -> bool {
        let before = self.counts_against(&sets[s]) + self.counts_against(&sets[t]);
        for m in 0..sets[t].len() {
            let (a, b) = (sets[s][k], sets[t][m]);
            (sets[s][k], sets[t][m]) = (b, a);
            if self.counts_against(&sets[s]) + self.counts_against(&sets[t]) < before - 1e-12 {
                (home[a], home[b]) = (t, s);
                return true;
            }
            (sets[s][k], sets[t][m]) = (a, b);
        }
        false
    }

    /// In order of the first dimension, each free piece with the nearest that are free among its neighbours.
    fn greedy(&self, order: &[usize], size: usize) -> Sets {
        let mut free = vec![true; self.pieces.len()];
        let (mut sets, mut left) = (vec![], vec![]);
        for (k, i) in order.iter().enumerate() {
            if !free[*i] {
                continue;
            }
            let mut near: Vec<usize> =
                order[k + 1..].iter().copied().filter(|j| free[*j]).take(4 * NEAR).collect();
            near.sort_by(|a, b| self.apart(&[*i, *a]).total_cmp(&self.apart(&[*i, *b])));
            near.truncate(size - 1);
            free[*i] = false;
            if near.len() < size - 1 {
                left.push(*i);
                continue;
            }
            near.iter().for_each(|j| free[*j] = false);
            sets.push([vec![*i], near].concat());
        }
        (sets, left)
    }
}
