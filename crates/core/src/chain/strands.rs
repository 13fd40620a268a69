//! How many rings carry a chain between them: as many as must open before it parts.

use std::collections::{HashMap, HashSet, VecDeque};

use super::weave::{FARTHEST, Weave};

/// Cells at either end that are held: as many as a link reaches over.
const HELD: i32 = FARTHEST;
/// Cells of the piece of chain that is looked at: no link leads past what lies between the ends.
const CELLS: i32 = 4 * FARTHEST;
/// A sheet wider than this is looked at so wide: what carries it grows with its breadth, evenly.
const WIDEST: u32 = 6;

/// The fewest rings that must open before a chain, or a sheet so many cells across, parts. By counting (Menger): as many as
/// there are ways from end to end that share no ring.
///
/// ```
/// use lorimant_core::chain::strands::strands_n;
/// use lorimant_core::chain::weaves::by_word;
///
/// let strands = |word| strands_n(&by_word(word).unwrap().weave, 1);
/// assert_eq!((strands("one-in-one"), strands("two-in-two"), strands("spiral-4-in-1")), (1, 2, 2));
/// ```
#[must_use]
pub fn strands_n(weave: &Weave, across_n: u32) -> u32 {
    if weave.is_sheet() && across_n > WIDEST {
        // Each cell of breadth adds as many as the last did.
        let (less, most) = (strands_n(weave, WIDEST - 1), strands_n(weave, WIDEST));
        return most + (most - less) * (across_n - WIDEST);
    }
    let across = if weave.is_sheet() { i32::try_from(across_n).unwrap_or(1) } else { 1 };
    let k = weave.rings_n();
    let at = |cell: i32, aside: i32, ring: usize| {
        let inside = (0..CELLS).contains(&cell) && (0..across).contains(&aside);
        let place = usize::try_from(cell * across + aside).ok().filter(|_| inside);
        place.map(|place| place * k + ring)
    };
    let rings_n = usize::try_from(CELLS * across).unwrap_or(0) * k;
    // Each ring is entered once and left once; every link goes both ways.
    let mut to: Vec<Vec<usize>> = vec![vec![]; rings_n];
    let (mut first, mut last) = (vec![false; rings_n], vec![false; rings_n]);
    for cell in 0..CELLS {
        for aside in 0..across {
            for ring in 0..k {
                let Some(here) = at(cell, aside, ring) else { continue };
                (first[here], last[here]) = (cell < HELD, cell >= CELLS - HELD);
                let linked = weave.linked_with(ring);
                to[here] = linked.filter_map(|(other, on, to)| at(cell + on, aside + to, other)).collect();
            }
        }
    }
    ways(&to, &first, &last)
}

/// Ways from the first to the last that share no node, by augmenting one after the other.
fn ways(to: &[Vec<usize>], first: &[bool], last: &[bool]) -> u32 {
    // Node 2i is where ring i is entered, 2i + 1 where it is left.
    let n = to.len();
    let mut taken: HashSet<(usize, usize)> = HashSet::new();
    let mut ways_n = 0;
    loop {
        let mut from: Vec<Option<usize>> = vec![None; 2 * n];
        let mut next: VecDeque<usize> = VecDeque::new();
        for ring in (0..n).filter(|ring| first[*ring]) {
            // What is held at the end is not limited.
            from[2 * ring + 1] = Some(2 * ring + 1);
            next.push_back(2 * ring + 1);
        }
        let mut into: HashMap<usize, Vec<usize>> = HashMap::new();
        for (out_of, to) in &taken {
            into.entry(*to).or_default().push(*out_of);
        }
        let mut end = None;
        while let Some(node) = next.pop_front() {
            let ring = node / 2;
            if last[ring] && node % 2 == 0 {
                end = Some(node);
                break;
            }
            let mut steps: Vec<usize> = if node % 2 == 0 {
                vec![node + 1]
            } else {
                to[ring].iter().filter(|other| !first[**other]).map(|other| 2 * other).collect()
            };
            steps.retain(|step| !taken.contains(&(node, *step)));
            steps.extend(into.get(&node).into_iter().flatten());
            for step in steps {
                if from[step].is_none() && !(step % 2 == 1 && first[step / 2]) {
                    from[step] = Some(node);
                    next.push_back(step);
                }
            }
        }
        let Some(mut node) = end else { return ways_n };
        ways_n += 1;
        while let Some(before) = from[node].filter(|before| *before != node) {
            // Going back along what was taken gives it up.
            if !taken.remove(&(node, before)) {
                taken.insert((before, node));
            }
            node = before;
        }
    }
}
