//! Filling one piece of stock: a bounded knapsack over hundredths of a millimetre.

/// Hundredths of a millimetre that sums are counted in.
const UNITS_A_MM: f64 = 100.0;
/// Room that is filled by trying all sums, in units; what is more is filled in turn first.
const WINDOW: usize = 50_000;

/// A length to fill with, and how many there are.
#[derive(Debug, Clone, Copy)]
pub(super) struct Item {
    pub takes_mm: f64,
    pub n: u32,
}

/// What rests are worth leaving.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(super) enum Leave {
    /// As little as can be.
    Least,
    /// Nothing, or at least this much, mm; as little as can be where neither is possible.
    NothingOr(f64),
}

/// How many of each item go into so much room.
pub(super) fn fill(room_mm: f64, items: &[Item], leave: Leave) -> Vec<u32> {
    let units = |mm: f64, up: bool| {
        // What lies within a thousandth of a unit of a whole one is that one.
        let exact = mm * UNITS_A_MM;
        let whole = if up { (exact - 1e-3).ceil() } else { (exact + 1e-3).floor() };
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "0 to 1e9")]
        let whole = whole.max(0.0) as usize;
        whole
    };
    let mut room = units(room_mm, false);
    let takes: Vec<usize> = items.iter().map(|item| units(item.takes_mm, true).max(1)).collect();
    let mut counts = vec![0_u32; items.len()];
    let mut left: Vec<u32> = items.iter().map(|item| item.n).collect();
    let longest = takes.iter().copied().max().unwrap_or(1);
    // Far from full, in turn whichever there is most of, so that all lengths are there at the end.
    while room > WINDOW + longest {
        let most = (0..items.len()).filter(|i| left[*i] > 0).max_by_key(|i| left[*i] as usize * takes[*i]);
        let Some(i) = most else { return counts };
        let spare = (room - WINDOW) / takes[i];
        #[expect(clippy::cast_possible_truncation, reason = "no more than are left")]
        let n = (spare.min(left[i].div_ceil(4) as usize)).max(1) as u32;
        room -= takes[i] * n as usize;
        left[i] -= n;
        counts[i] += n;
    }
    for (count, n) in counts.iter_mut().zip(sums(room, &takes, &left, leave, units)) {
        *count += n;
    }
    counts
}

/// The best sum of up to so many of each that is no more than the room.
fn sums(
    room: usize,
    takes: &[usize],
    left: &[u32],
    leave: Leave,
    units: impl Fn(f64, bool) -> usize,
) -> Vec<u32> {
    const NONE: u16 = u16::MAX;
    let mut counts = vec![0; takes.len()];
    // Which item a sum was first reached with; sums reached earlier never change, so the way back holds.
    let mut reached = vec![NONE; room + 1];
    let mut used = vec![0_u32; room + 1];
    reached[0] = NONE - 1;
    for (i, (take, n)) in takes.iter().zip(left).enumerate() {
        if *n == 0 || *take > room {
            continue;
        }
        used.fill(0);
        #[expect(clippy::cast_possible_truncation, reason = "1000 items at most")]
        let item = i as u16;
        for sum in *take..=room {
            let from = sum - take;
            if reached[sum] == NONE && reached[from] != NONE && used[from] < *n {
                reached[sum] = item;
                used[sum] = used[from] + 1;
            }
        }
        if reached[room] != NONE {
            break;
        }
    }
    let fullest = (0..=room).rev().find(|sum| reached[*sum] != NONE).unwrap_or(0);
    let mut sum = match leave {
        Leave::NothingOr(useful) if fullest < room => {
            let most = room.saturating_sub(units(useful, true));
            // Short of a full one, the fullest that leaves a rest worth keeping.
            (1..=most).rev().find(|sum| reached[*sum] != NONE).unwrap_or(fullest)
        }
        _ => fullest,
    };
    while sum > 0 {
        let item = reached[sum] as usize;
        counts[item] += 1;
        sum -= takes[item];
    }
    counts
}
