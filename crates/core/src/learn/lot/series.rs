//! Readings that have one error in common, and how likely each factor of the lot makes them.

use super::{MOST_PLACES, REACH, SLIPS};

/// One reading of a series, in the unit of the series.
pub(super) struct Seen {
    /// Its place in the list.
    pub at: usize,
    /// What was read, less what makes its kind of piece differ from the first of its series.
    pub value: f64,
    /// That difference.
    pub differs: f64,
    /// One standard deviation of its own chance.
    pub own: f64,
    /// Whether it teaches.
    pub counts: bool,
}

impl Seen {
    /// Logarithm of how likely it is where `really` is to be read: chance, or now and then a slip that could be anything up
    /// to twice the size.
    fn log_likelihood(&self, really: f64) -> f64 {
        let off = (self.value - really) / self.own;
        let chance = (-0.5 * off * off).exp() / (self.own * std::f64::consts::TAU.sqrt());
        ((1.0 - SLIPS) * chance + self.slip()).ln()
    }

    /// The likelihood of its being a slip, by its unit.
    fn slip(&self) -> f64 {
        SLIPS / (2.0 * self.value.max(1.0))
    }
}

/// Readings that have one error in common: of coils from one rod the rod's own, of pull tests the wire's size.
pub(super) struct Series {
    /// The readings.
    pub seen: Vec<Seen>,
    /// One standard deviation of what they share.
    pub shared: f64,
    /// What each factor of the grid would give.
    pub gives: Vec<f64>,
}

/// What could really be read in a series, evenly `step` apart, each with the logarithm of how likely it makes the readings.
pub(super) struct Really {
    places: Vec<(f64, f64)>,
    step: f64,
    /// The same where every reading is a slip.
    all_slips: f64,
}

impl Really {
    /// What the readings by themselves say: their mean and one standard deviation; nothing where none counts.
    pub fn mean(&self) -> Option<(f64, f64)> {
        let best = self.places.iter().map(|(_, log)| *log).reduce(f64::max)?;
        let weights: Vec<(f64, f64)> =
            self.places.iter().map(|(at, log)| (*at, (log - best).exp())).collect();
        let all: f64 = weights.iter().map(|(_, weight)| weight).sum();
        let mean = weights.iter().map(|(at, weight)| at * weight).sum::<f64>() / all;
        let squares: f64 = weights.iter().map(|(at, weight)| weight * (at - mean).powi(2)).sum();
        Some((mean, (squares / all).sqrt()))
    }
}

impl Series {
    /// Everything that is likely about the readings that count.
    pub fn really(&self) -> Really {
        let counting = || self.seen.iter().filter(|seen| seen.counts);
        let n = u32::try_from(counting().count()).unwrap_or(u32::MAX);
        let narrowest = counting().map(|seen| seen.own).fold(self.shared, f64::min);
        let mut spans: Vec<(f64, f64)> =
            counting().map(|seen| (seen.value - REACH * seen.own, seen.value + REACH * seen.own)).collect();
        spans.sort_by(|a, b| a.0.total_cmp(&b.0));
        let mut joined: Vec<(f64, f64)> = vec![];
        for (from, to) in spans {
            match joined.last_mut() {
                Some(last) if from <= last.1 => last.1 = last.1.max(to),
                _ => joined.push((from, to)),
            }
        }
        let wide: f64 = joined.iter().map(|(from, to)| to - from).sum();
        let step = (narrowest / f64::from(n.max(1)).sqrt() / 2.0).max(wide / MOST_PLACES);
        let places = joined.iter().flat_map(|(from, to)| {
            #[expect(
                clippy::cast_possible_truncation,
                clippy::cast_sign_loss,
                reason = "at most MOST_PLACES"
            )]
            let count = ((to - from) / step) as u32;
            (0..=count).map(move |i| from + step * f64::from(i))
        });
        let log = |at: f64| counting().map(|seen| seen.log_likelihood(at)).sum::<f64>();
        Really {
            places: places.map(|at| (at, log(at))).collect(),
            step,
            all_slips: counting().map(|seen| seen.slip().ln()).sum(),
        }
    }

    /// Logarithm of how likely each factor of the grid makes what was measured, without one of them where that is asked.
    pub fn logs(&self, really: &Really, without: Option<&Seen>) -> Vec<f64> {
        let less = |at: f64| without.map_or(0.0, |seen| seen.log_likelihood(at));
        let logs: Vec<(f64, f64)> = really.places.iter().map(|(at, log)| (*at, log - less(*at))).collect();
        let all_slips = really.all_slips - without.map_or(0.0, |seen| seen.slip().ln());
        let best = logs.iter().map(|(_, log)| *log).fold(all_slips, f64::max);
        let likely: Vec<(f64, f64)> = logs.into_iter().map(|(at, log)| (at, (log - best).exp())).collect();
        let height = really.step / (self.shared * std::f64::consts::TAU.sqrt());
        let each = |gives: &f64| {
            let off = |at: f64| (at - gives) / self.shared;
            let seen: f64 = likely.iter().map(|(at, share)| share * (-0.5 * off(*at).powi(2)).exp()).sum();
            (height * seen + (all_slips - best).exp()).ln() + best
        };
        self.gives.iter().map(each).collect()
    }
}
