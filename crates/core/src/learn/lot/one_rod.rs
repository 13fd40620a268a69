//! Pieces measured off one rod: what they have in common, and how likely each factor of the lot makes them.

use super::rods::RodError;
use super::{
    Inside, LEAST_SPREAD_MM, MOST_PLACES, MeasuredInside, REACH, SLIPS, by_size_mm, inside_with, wound_alike,
};
use crate::ring::RingRequest;
use crate::tool::cutting::Method;
use crate::tool::hand::HandSpread;
use crate::tool::mandrel::Mandrel;

/// One measured inside among those of its rod.
pub(super) struct Seen {
    /// Its place in the list.
    pub at: usize,
    /// What it measured less what makes its kind of piece differ from the first of its rod, mm.
    pub mm: f64,
    /// That difference, mm.
    pub differs_mm: f64,
    /// One standard deviation of its own chance, mm.
    pub own_mm: f64,
    /// Whether it teaches.
    pub counts: bool,
}

impl Seen {
    /// Logarithm of how likely it is where pieces of its rod really measure `really_mm`: chance, or now and then a slip that
    /// could be anything up to twice the size.
    fn log_likelihood(&self, really_mm: f64) -> f64 {
        let off = (self.mm - really_mm) / self.own_mm;
        let chance = (-0.5 * off * off).exp() / (self.own_mm * std::f64::consts::TAU.sqrt());
        ((1.0 - SLIPS) * chance + self.slip()).ln()
    }

    /// The likelihood of its being a slip, 1/mm.
    fn slip(&self) -> f64 {
        SLIPS / (2.0 * self.mm.max(1.0))
    }
}

/// Pieces measured off one rod: its own error is one for all of them, however they were cut.
pub(super) struct OneRod<'a> {
    pub wound: &'a RingRequest,
    pub of: Inside,
    pub seen: Vec<Seen>,
    /// How far its rod is known to wind from its label, mm.
    pub off_mm: f64,
    /// One standard deviation of what they share: what is not known of the rod, the wire's size, mm.
    pub shared_mm: f64,
    /// The wire's share of that: one for all rods of a lot.
    pub by_size_mm: f64,
    /// What each factor of the grid would give, mm.
    pub gives_mm: Vec<f64>,
}

/// What pieces of a rod could really measure, mm, evenly `step_mm` apart, each with the logarithm of how likely it makes the
/// readings.
pub(super) struct Really {
    at_mm: Vec<(f64, f64)>,
    step_mm: f64,
    /// The same where every reading is a slip.
    all_slips: f64,
}

impl Really {
    /// What the readings by themselves say their pieces measure: its mean and one standard deviation, mm; nothing where none
    /// counts.
    pub fn mean(&self) -> Option<(f64, f64)> {
        let best = self.at_mm.iter().map(|(_, log)| *log).reduce(f64::max)?;
        let weights: Vec<(f64, f64)> = self.at_mm.iter().map(|(at, log)| (*at, (log - best).exp())).collect();
        let all: f64 = weights.iter().map(|(_, weight)| weight).sum();
        let mean = weights.iter().map(|(at, weight)| at * weight).sum::<f64>() / all;
        let squares: f64 = weights.iter().map(|(at, weight)| weight * (at - mean).powi(2)).sum();
        Some((mean, (squares / all).sqrt()))
    }
}

impl<'a> OneRod<'a> {
    pub fn of(
        measured: &'a [MeasuredInside],
        hand: &HandSpread,
        rods_error: &dyn Fn(&Mandrel) -> RodError,
    ) -> Vec<Self> {
        let mut rods: Vec<Self> = vec![];
        let usual = |one: &MeasuredInside| inside_with(&one.wound, one.of, 1.0).unwrap_or(0.0);
        for (at, one) in measured.iter().enumerate() {
            let of_rod = |rod: &&mut Self| {
                let wire = |wound: &RingRequest| wound.wire.clone().of_any_lot();
                rod.wound.mandrel == one.wound.mandrel && wire(rod.wound) == wire(&one.wound)
            };
            let sawn = one.wound.cutting.method == Method::Saw;
            let own_mm = hand.of_one(one.of == Inside::Ring, sawn, one.readings_n).max(LEAST_SPREAD_MM);
            let seen = |differs_mm: f64| {
                let mm = one.inside_mm - differs_mm;
                Seen { at, mm, differs_mm, own_mm, counts: !one.excluded }
            };
            match rods.iter_mut().find(of_rod) {
                Some(rod) => {
                    let alike = rod.of == one.of && wound_alike(rod.wound, &one.wound);
                    let first = inside_with(rod.wound, rod.of, 1.0).unwrap_or(0.0);
                    let differs_mm = if alike { 0.0 } else { usual(one) - first };
                    rod.seen.push(seen(differs_mm + rod.off_mm));
                }
                None => {
                    let RodError { off_mm, spread_mm } = rods_error(&one.wound.mandrel);
                    let by_size_mm = by_size_mm(&one.wound, one.of);
                    rods.push(Self {
                        wound: &one.wound,
                        of: one.of,
                        seen: vec![seen(off_mm)],
                        off_mm,
                        shared_mm: spread_mm.hypot(by_size_mm).max(LEAST_SPREAD_MM),
                        by_size_mm,
                        gives_mm: vec![],
                    });
                }
            }
        }
        rods
    }

    pub fn ask(&mut self, grid: &[f64]) {
        // Beyond the factor at which it springs straight the coil is larger than any that was measured.
        let gives = |flow: &f64| inside_with(self.wound, self.of, *flow).unwrap_or(1e4);
        self.gives_mm = grid.iter().map(gives).collect();
    }

    /// Everything that is likely about the readings that count.
    pub fn really(&self) -> Really {
        let counting = || self.seen.iter().filter(|seen| seen.counts);
        let n = u32::try_from(counting().count()).unwrap_or(u32::MAX);
        let narrowest = counting().map(|seen| seen.own_mm).fold(self.shared_mm, f64::min);
        let mut spans: Vec<(f64, f64)> =
            counting().map(|seen| (seen.mm - REACH * seen.own_mm, seen.mm + REACH * seen.own_mm)).collect();
        spans.sort_by(|a, b| a.0.total_cmp(&b.0));
        let mut joined: Vec<(f64, f64)> = vec![];
        for (from, to) in spans {
            match joined.last_mut() {
                Some(last) if from <= last.1 => last.1 = last.1.max(to),
                _ => joined.push((from, to)),
            }
        }
        let wide: f64 = joined.iter().map(|(from, to)| to - from).sum();
        let step_mm = (narrowest / f64::from(n.max(1)).sqrt() / 2.0).max(wide / MOST_PLACES);
        let at_mm = joined.iter().flat_map(|(from, to)| {
            #[expect(
                clippy::cast_possible_truncation,
                clippy::cast_sign_loss,
                reason = "at most MOST_PLACES"
            )]
            let places = ((to - from) / step_mm) as u32;
            (0..=places).map(move |i| from + step_mm * f64::from(i))
        });
        let log = |at: f64| counting().map(|seen| seen.log_likelihood(at)).sum::<f64>();
        Really {
            at_mm: at_mm.map(|at| (at, log(at))).collect(),
            step_mm,
            all_slips: counting().map(|seen| seen.slip().ln()).sum(),
        }
    }

    /// Logarithm of how likely each factor of the grid makes what was measured, without one of them where that is asked.
    pub fn logs(&self, really: &Really, without: Option<&Seen>) -> Vec<f64> {
        let less = |at: f64| without.map_or(0.0, |seen| seen.log_likelihood(at));
        let logs: Vec<(f64, f64)> = really.at_mm.iter().map(|(at, log)| (*at, log - less(*at))).collect();
        let all_slips = really.all_slips - without.map_or(0.0, |seen| seen.slip().ln());
        let best = logs.iter().map(|(_, log)| *log).fold(all_slips, f64::max);
        let likely: Vec<(f64, f64)> = logs.into_iter().map(|(at, log)| (at, (log - best).exp())).collect();
        let height = really.step_mm / (self.shared_mm * std::f64::consts::TAU.sqrt());
        let each = |gives: &f64| {
            let off = |at: f64| (at - gives) / self.shared_mm;
            let seen: f64 = likely.iter().map(|(at, share)| share * (-0.5 * off(*at).powi(2)).exp()).sum();
            (height * seen + (all_slips - best).exp()).ln() + best
        };
        self.gives_mm.iter().map(each).collect()
    }
}
