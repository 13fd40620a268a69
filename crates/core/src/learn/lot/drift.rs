//! How a lot changes along its spool.

use super::{Drift, LEAST_FOR_DRIFT, LotPoint, SURE_DRIFT, WELL_LAID};

/// A straight line through the factors against the wire that had come off by then, where it surely rises or falls. One odd
/// measurement in eight is left out where all the others lie on a line.
pub(super) fn drift(points: &[LotPoint]) -> Option<Drift> {
    let of = |point: &LotPoint| Some((point.off_spool_mm? / 1000.0, point.flow, point.own_spread.powi(-2)));
    let mut seen: Vec<_> = points.iter().filter(|point| !point.excluded).filter_map(of).collect();
    let last_m = seen.iter().map(|(x, ..)| *x).fold(f64::NEG_INFINITY, f64::max);
    let mut may_leave_out = seen.len() / 8;
    while seen.len() >= LEAST_FOR_DRIFT {
        let line = Line::through(&seen)?;
        let off = |(at, flow, weight): &(f64, f64, f64)| weight * (flow - line.at(*at)).powi(2);
        #[expect(clippy::cast_precision_loss, reason = "a small count")]
        if seen.iter().map(off).sum::<f64>() <= WELL_LAID * (seen.len() - 2) as f64 {
            let drift = Drift {
                per_m: line.slope,
                here: line.at(last_m),
                last_m,
                here_spread: line.spread_at(last_m),
            };
            return (line.slope.abs() > SURE_DRIFT * line.slope_spread).then_some(drift);
        }
        // A single odd one tilts a line that the others do not lie on.
        may_leave_out = may_leave_out.checked_sub(1)?;
        let worst = (0..seen.len()).max_by(|a, b| off(&seen[*a]).total_cmp(&off(&seen[*b])))?;
        seen.remove(worst);
    }
    None
}

/// A weighted straight line.
struct Line {
    middle: (f64, f64),
    slope: f64,
    slope_spread: f64,
    middle_spread: f64,
}

impl Line {
    /// Through places, values and weights, by least squares; nothing where all are of one place.
    fn through(seen: &[(f64, f64, f64)]) -> Option<Self> {
        let sum = |f: &dyn Fn(f64, f64) -> f64| seen.iter().map(|(x, y, w)| w * f(*x, *y)).sum::<f64>();
        let all = sum(&|_, _| 1.0);
        let (x, y) = (sum(&|x, _| x) / all, sum(&|_, y| y) / all);
        let along = sum(&|at, _| (at - x).powi(2));
        (along > 1e-12).then(|| Self {
            middle: (x, y),
            slope: sum(&|at, value| (at - x) * (value - y)) / along,
            slope_spread: along.powf(-0.5),
            middle_spread: all.powf(-0.5),
        })
    }

    fn at(&self, x: f64) -> f64 {
        self.middle.1 + self.slope * (x - self.middle.0)
    }

    fn spread_at(&self, x: f64) -> f64 {
        self.middle_spread.hypot(self.slope_spread * (x - self.middle.0))
    }
}
