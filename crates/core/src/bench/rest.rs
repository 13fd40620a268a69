//! Rests: hands that have been at it too long are told so.

use jiff::Timestamp;

/// A gap between two presses longer than this is no work, minutes.
pub(super) const PAUSE_MIN: f64 = 5.0;

/// Minutes that hands have been at it since they last rested for `rest_min`, by the moments of their presses, the
/// earliest first. None where the last press is that long ago.
///
/// ```
/// use jiff::{Timestamp, ToSpan};
/// use lorimant_core::bench::rest::at_it_min;
///
/// let begun = Timestamp::UNIX_EPOCH;
/// let presses: Vec<Timestamp> = (0..=30).map(|i| begun + (i * 1_i64).minutes()).collect();
/// assert_eq!(at_it_min(&presses, begun + 31.minutes(), 5.0), 30.0);
/// assert_eq!(at_it_min(&presses, begun + 36.minutes(), 5.0), 0.0);
/// ```
#[must_use]
pub fn at_it_min(presses: &[Timestamp], now: Timestamp, rest_min: f64) -> f64 {
    let gap_min = |from: Timestamp, to: Timestamp| from.duration_until(to).as_secs_f64() / 60.0;
    let Some(last) = presses.last() else { return 0.0 };
    if gap_min(*last, now) >= rest_min.max(1.0) {
        return 0.0;
    }
    let gaps = presses.windows(2).rev().map(|pair| gap_min(pair[0], pair[1]));
    gaps.take_while(|gap| *gap < rest_min.max(1.0)).filter(|gap| (0.0..=PAUSE_MIN).contains(gap)).sum()
}
