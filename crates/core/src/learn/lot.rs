//! How a lot springs: learned from coils and rings that were measured.
//!
//! One factor on the flow stress, as a share of the modulus, is not known of a lot. What was measured says how likely each
//! value of it is (Bayes): the handbook's spread comes first, each measured inside speaks for the factors that would give
//! it. The factor is put on a grid, since a springback is no straight line of it.

use serde::Serialize;

use crate::ring::RingRequest;
use crate::tool::coil::Coil;
use crate::tool::cutting::Method;
use crate::tool::hand::Hand;
use crate::tool::mandrel::Mandrel;
use crate::wire::SIZE_SPREAD;
use crate::wire::bending::Bending;
use crate::wire::lot::{HANDBOOK_SPREAD, LotFactor};
use crate::words::words;

words! {
    /// What of a wound piece was measured.
    pub enum Inside ("inside measured") {
        /// The coil, let go and not cut.
        Coil = "coil", "inside of the coil";
        /// A ring, cut and closed.
        Ring = "ring", "inside of the ring";
    }
}

/// One inside that was measured.
#[derive(Debug, Clone, PartialEq)]
pub struct MeasuredInside {
    /// How the coil was wound and cut, from which wire.
    pub wound: RingRequest,
    /// Of which.
    pub of: Inside,
    /// What it measured, mm: the mean of its readings.
    pub inside_mm: f64,
    /// How many readings that is the mean of, the piece turned between them; at least 1.
    pub readings_n: u32,
    /// How much wire had come off the spool by then, mm, where that is known.
    pub off_spool_mm: Option<f64>,
    /// Whether the maker has set it aside: it is shown, and teaches nothing.
    pub aside: bool,
}

/// What one measured inside says, for the plot.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct LotPoint {
    /// The factor that alone would give what was measured.
    pub flow: f64,
    /// One standard deviation of it, from hand, rod and caliper.
    pub spread: f64,
    /// The same without what all of one rod share.
    #[serde(skip)]
    own_spread: f64,
    /// What was measured, mm.
    pub inside_mm: f64,
    /// What the handbook would have given, mm.
    pub handbook_mm: f64,
    /// What is foretold now, mm.
    pub now_mm: f64,
    /// How much wire had come off the spool by then, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub off_spool_mm: Option<f64>,
    /// Whether it was set aside.
    pub aside: bool,
    /// How far it lies from what all the others foretell, in standard deviations.
    pub off: f64,
    /// Whether that is so far that it should be measured again, or set aside.
    pub outlier: bool,
}

/// How the lot changes along its spool.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Drift {
    /// Change of the factor with each metre.
    pub per_m: f64,
    /// The factor where the last one was measured.
    pub here: f64,
    /// How much wire had come off by then, m.
    pub last_m: f64,
    /// One standard deviation of the factor there.
    pub here_spread: f64,
}

/// What is known of a lot.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct LotLearned {
    /// The factor: how much more it springs than the handbook's metal.
    pub flow: f64,
    /// One standard deviation of it.
    pub spread: f64,
    /// The same before anything was measured: what the handbook leaves open.
    pub handbook_spread: f64,
    /// How many measurements teach it.
    pub measured_n: u32,
    /// Each measurement, in the order it was given.
    pub points: Vec<LotPoint>,
    /// How it changes along the spool, where it surely does.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub drift: Option<Drift>,
    /// The rods its coils and rings were wound on.
    #[serde(skip)]
    pub rods: Vec<Mandrel>,
}

/// A measurement further than this from what the others foretell is said to be one to look at, in standard deviations.
const OUTLIER: f64 = 3.0;
/// A change along the spool is said when it is so many of its own standard deviations.
const SURE_DRIFT: f64 = 3.5;
/// Measurements lie on a line when their squares are no more than this many times what chance makes.
const WELL_LAID: f64 = 3.0;
/// Fewer measurements say nothing of a change along the spool.
const LEAST_FOR_DRIFT: usize = 5;
/// So many of the last measurements teach a lot: more make nothing surer, since the rod's own error is one for all of them.
pub const MOST_TEACHING: usize = 300;
/// Values of the factor that are asked at first, and again where it surely lies.
const GRID: usize = 121;
/// How far about the likeliest the grid reaches, in standard deviations.
const REACH: f64 = 5.5;
/// No hand and no caliper is surer than this, mm.
const LEAST_SPREAD_MM: f64 = 0.002;
/// So often a measurement is none of what it is taken for: a figure mistyped, another unit, another piece.
const SLIPS: f64 = 0.03;
/// What pieces of a rod could really measure is asked at so many places at most.
const MOST_PLACES: f64 = 2000.0;
/// No lot's factor lies outside.
const LIMITS: (f64, f64) = (0.3, 2.0);

/// What a wound piece measures when the lot's factor is this, mm; nothing where it would spring straight.
///
/// ```
/// use lorimant_core::learn::lot::{Inside, inside_with};
/// use lorimant_core::ring::RingRequest;
/// use lorimant_core::tool::mandrel::Mandrel;
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
///
/// let wire = Wire::round(Metal::SterlingSilver, 0.8, Temper::HalfHard);
/// let wound = RingRequest::new(wire, Mandrel::round(4.0), 20);
/// // A stronger lot springs further open.
/// assert!(inside_with(&wound, Inside::Coil, 1.2) > inside_with(&wound, Inside::Coil, 1.0));
/// ```
#[must_use]
pub fn inside_with(wound: &RingRequest, of: Inside, flow: f64) -> Option<f64> {
    inside_of(wound, of, flow, 1.0)
}

/// The same in wire so much thicker than its label.
pub(super) fn inside_of(wound: &RingRequest, of: Inside, flow: f64, size: f64) -> Option<f64> {
    let mut wire = wound.wire.clone().of_any_lot();
    wire.size_mm *= size;
    let bending = Bending::after(&wire, wound.spent());
    let bending = Bending { flow: bending.flow.strengthened(flow), ..bending };
    inside_bent(wound, of, &bending)
}

fn inside_bent(wound: &RingRequest, of: Inside, bending: &Bending) -> Option<f64> {
    match of {
        Inside::Coil => Some(Coil::wind_with(bending, wound.mandrel.outline())?.relaxed.across()),
        Inside::Ring => wound.target(1.0).inside_on(bending, wound.mandrel.outline()),
    }
    .filter(|mm| mm.is_finite())
}

/// One measured inside among those of its rod.
struct Seen {
    /// Its place in the list.
    at: usize,
    /// What it measured less what makes its kind of piece differ from the first of its rod, mm.
    mm: f64,
    /// That difference, mm.
    differs_mm: f64,
    /// One standard deviation of its own chance, mm.
    own_mm: f64,
    /// Whether it teaches.
    counts: bool,
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
struct OneRod<'a> {
    wound: &'a RingRequest,
    of: Inside,
    seen: Vec<Seen>,
    /// One standard deviation of what they share: the rod, the wire's size, mm.
    shared_mm: f64,
    /// The wire's share of that: one for all rods of a lot.
    by_size_mm: f64,
    /// What each factor of the grid would give, mm.
    gives_mm: Vec<f64>,
}

/// What pieces of a rod could really measure, mm, evenly `step_mm` apart, each with the logarithm of how likely it makes the
/// readings.
struct Really {
    at_mm: Vec<(f64, f64)>,
    step_mm: f64,
    /// The same where every reading is a slip.
    all_slips: f64,
}

impl<'a> OneRod<'a> {
    fn of(measured: &'a [MeasuredInside], hand: &Hand) -> Vec<Self> {
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
                Seen { at, mm, differs_mm, own_mm, counts: !one.aside }
            };
            match rods.iter_mut().find(of_rod) {
                Some(rod) => {
                    let alike = rod.of == one.of && wound_alike(rod.wound, &one.wound);
                    let first = inside_with(rod.wound, rod.of, 1.0).unwrap_or(0.0);
                    rod.seen.push(seen(if alike { 0.0 } else { usual(one) - first }));
                }
                None => {
                    rods.push(Self {
                        wound: &one.wound,
                        of: one.of,
                        seen: vec![seen(0.0)],
                        shared_mm: shared_mm(&one.wound, one.of, hand).max(LEAST_SPREAD_MM),
                        by_size_mm: by_size_mm(&one.wound, one.of),
                        gives_mm: vec![],
                    });
                }
            }
        }
        rods
    }

    fn ask(&mut self, grid: &[f64]) {
        // Beyond the factor at which it springs straight the coil is larger than any that was measured.
        let gives = |flow: &f64| inside_with(self.wound, self.of, *flow).unwrap_or(1e4);
        self.gives_mm = grid.iter().map(gives).collect();
    }

    /// Everything that is likely about the readings that count.
    fn really(&self) -> Really {
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
    fn logs(&self, really: &Really, without: Option<&Seen>) -> Vec<f64> {
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

/// Whether two coils come out alike but for hand and chance: same rod, same wire as it is labelled, same treatment.
pub(super) fn wound_alike(one: &RingRequest, other: &RingRequest) -> bool {
    one.mandrel == other.mandrel
        && one.wire.clone().of_any_lot() == other.wire.clone().of_any_lot()
        && (one.spent() - other.spent()).abs() < 1e-9
        && one.cutting == other.cutting
        && one.hammered_mm == other.hammered_mm
}

/// How far the wire's size, as drawn, moves an inside, mm, one standard deviation.
fn by_size_mm(wound: &RingRequest, of: Inside) -> f64 {
    let at = |size: f64| inside_of(wound, of, 1.0, size).unwrap_or(0.0);
    at(1.0 + SIZE_SPREAD) - at(1.0)
}

/// What coils of one rod share: the rod's own error, and how the wire's size moves them, mm.
pub(super) fn shared_mm(wound: &RingRequest, of: Inside, hand: &Hand) -> f64 {
    hand.rod_spread(&wound.mandrel).hypot(by_size_mm(wound, of))
}

/// The likelihoods of a grid's factors, with their mean and spread.
struct Belief {
    weights: Vec<f64>,
    mean: f64,
    spread: f64,
}

impl Belief {
    /// What the handbook says of a grid's factors, with the logarithms of what each rod's readings say.
    fn of<'a>(grid: &[f64], of_rods: impl Iterator<Item = &'a Vec<f64>>) -> Self {
        let mut logs: Vec<f64> =
            grid.iter().map(|flow| -0.5 * ((flow - 1.0) / HANDBOOK_SPREAD).powi(2)).collect();
        for rod in of_rods {
            logs.iter_mut().zip(rod).for_each(|(log, of_rod)| *log += of_rod);
        }
        let best = logs.iter().copied().fold(f64::NEG_INFINITY, f64::max);
        let mut weights: Vec<f64> = logs.iter().map(|log| (log - best).exp()).collect();
        let all: f64 = weights.iter().sum();
        weights.iter_mut().for_each(|weight| *weight /= all);
        let mean: f64 = weights.iter().zip(grid).map(|(w, flow)| w * flow).sum();
        let squares: f64 = weights.iter().zip(grid).map(|(w, flow)| w * (flow - mean).powi(2)).sum();
        Self { weights, mean, spread: squares.sqrt() }
    }

    /// What of this is foretold: its mean and one standard deviation.
    fn foretells(&self, gives: &[f64]) -> (f64, f64) {
        let mean: f64 = self.weights.iter().zip(gives).map(|(w, mm)| w * mm).sum();
        let squares: f64 = self.weights.iter().zip(gives).map(|(w, mm)| w * (mm - mean).powi(2)).sum();
        (mean, squares.sqrt())
    }
}

fn grid(mean: f64, spread: f64) -> Vec<f64> {
    let (from, to) = ((mean - REACH * spread).max(LIMITS.0), (mean + REACH * spread).min(LIMITS.1));
    #[expect(clippy::cast_precision_loss, reason = "a small count")]
    let at = |i: usize| from + (to - from) * i as f64 / (GRID - 1) as f64;
    (0..GRID).map(at).collect()
}

/// Learns a lot's factor from what was measured of it.
///
/// ```
/// use lorimant_core::learn::lot::{Inside, MeasuredInside, inside_with, learn};
/// use lorimant_core::ring::RingRequest;
/// use lorimant_core::tool::{hand::Hand, mandrel::Mandrel};
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
///
/// let wire = Wire::round(Metal::SterlingSilver, 0.8, Temper::Hard);
/// let wound = RingRequest::new(wire, Mandrel::round(6.0), 20);
/// // A coil of a lot that is a tenth stronger.
/// let inside_mm = inside_with(&wound, Inside::Coil, 1.1).unwrap();
/// let coil = MeasuredInside { wound, of: Inside::Coil, inside_mm, readings_n: 3, off_spool_mm: None, aside: false };
/// let learned = learn(&[coil], &Hand::default());
/// // One coil draws the plan most of the way.
/// assert!((learned.flow - 1.1).abs() < 0.03 && learned.spread < 0.08);
/// ```
#[must_use]
pub fn learn(measured: &[MeasuredInside], hand: &Hand) -> LotLearned {
    if measured.is_empty() {
        return LotLearned {
            flow: 1.0,
            spread: HANDBOOK_SPREAD,
            handbook_spread: HANDBOOK_SPREAD,
            measured_n: 0,
            points: vec![],
            drift: None,
            rods: vec![],
        };
    }
    let mut rods = OneRod::of(measured, hand);
    let mut values = grid(1.0, HANDBOOK_SPREAD);
    rods.iter_mut().for_each(|rod| rod.ask(&values));
    let really: Vec<Really> = rods.iter().map(OneRod::really).collect();
    let of_rods = |rods: &[OneRod]| -> Vec<Vec<f64>> {
        rods.iter().zip(&really).map(|(rod, really)| rod.logs(really, None)).collect()
    };
    let logs = of_rods(&rods);
    let mut belief = Belief::of(&values, logs.iter());
    // Told on the wide grid: what the others foretell may lie far from what an odd one drags all to.
    let mut points = points(&rods, &really, &logs, &values, &belief, measured);
    let coarse = values.get(1).zip(values.first()).map_or(1.0, |(b, a)| b - a);
    if belief.spread < 3.0 * coarse {
        values = grid(belief.mean, belief.spread.max(coarse / 2.0));
        rods.iter_mut().for_each(|rod| rod.ask(&values));
        belief = Belief::of(&values, of_rods(&rods).iter());
    }
    for rod in &rods {
        let now_mm = belief.foretells(&rod.gives_mm).0;
        rod.seen.iter().for_each(|seen| points[seen.at].now_mm = now_mm + seen.differs_mm);
    }
    // However many are measured: the wire is one, and so is what its size is off by.
    let by_size = |rod: &OneRod| {
        let slope = slope(rod.wound, rod.of, belief.mean);
        if slope > 1e-6 { rod.by_size_mm.abs() / slope } else { HANDBOOK_SPREAD }
    };
    let least = rods.iter().map(by_size).fold(HANDBOOK_SPREAD, f64::min);
    belief.spread = belief.spread.max(least);
    let drift = drift(&points);
    if let Some(drift) = drift {
        for point in &mut points {
            let along = |mm: f64| drift.here + drift.per_m * (mm / 1000.0 - drift.last_m);
            point.off = point.off_spool_mm.map_or(0.0, |mm| (point.flow - along(mm)) / point.own_spread);
            point.outlier = point.off.abs() > OUTLIER;
        }
    }
    let counts = measured.iter().filter(|one| !one.aside).count();
    let (flow, spread) = drift.map_or((belief.mean, belief.spread), |drift| (drift.here, drift.here_spread));
    LotLearned {
        flow,
        spread,
        handbook_spread: HANDBOOK_SPREAD,
        measured_n: u32::try_from(counts).unwrap_or(u32::MAX),
        points,
        drift,
        rods: rods.iter().map(|rod| rod.wound.mandrel.clone()).collect(),
    }
}

/// How much an inside grows with the factor, mm.
pub(super) fn slope(wound: &RingRequest, of: Inside, flow: f64) -> f64 {
    let at = |flow| inside_with(wound, of, flow);
    at(flow - 0.01).zip(at(flow + 0.01)).map_or(0.0, |(a, b)| (b - a) / 0.02)
}

fn points(
    rods: &[OneRod],
    really: &[Really],
    logs: &[Vec<f64>],
    values: &[f64],
    belief: &Belief,
    measured: &[MeasuredInside],
) -> Vec<LotPoint> {
    let mut points: Vec<(usize, LotPoint)> = vec![];
    for (n, rod) in rods.iter().enumerate() {
        let slope = slope(rod.wound, rod.of, belief.mean);
        let by_slope = |mm: f64| if slope > 1e-6 { mm / slope } else { HANDBOOK_SPREAD };
        let foretold = belief.foretells(&rod.gives_mm).0;
        for seen in &rod.seen {
            let one = &measured[seen.at];
            let all = rod.shared_mm.hypot(seen.own_mm);
            let without = rod.logs(&really[n], Some(seen).filter(|seen| seen.counts));
            let others = logs.iter().enumerate().map(|(i, of_rod)| if i == n { &without } else { of_rod });
            let (mean, spread) = Belief::of(values, others).foretells(&rod.gives_mm);
            // Those wound on the same rod have its error in common: only their own chance tells them apart.
            let off = (seen.mm - mean) / spread.hypot(all);
            points.push((
                seen.at,
                LotPoint {
                    flow: flow_giving(&one.wound, one.of, one.inside_mm),
                    spread: by_slope(all),
                    own_spread: by_slope(seen.own_mm),
                    inside_mm: one.inside_mm,
                    handbook_mm: inside_with(&one.wound, one.of, 1.0).unwrap_or(0.0),
                    now_mm: foretold + seen.differs_mm,
                    off_spool_mm: one.off_spool_mm,
                    aside: one.aside,
                    off,
                    outlier: off.abs() > OUTLIER,
                },
            ));
        }
    }
    points.sort_by_key(|(i, _)| *i);
    points.into_iter().map(|(_, point)| point).collect()
}

/// The factor that gives just this inside, within the limits, by halving.
fn flow_giving(wound: &RingRequest, of: Inside, inside_mm: f64) -> f64 {
    let (mut low, mut high) = LIMITS;
    for _ in 0..40 {
        let middle = f64::midpoint(low, high);
        match inside_with(wound, of, middle) {
            Some(mm) if mm < inside_mm => low = middle,
            _ => high = middle,
        }
    }
    f64::midpoint(low, high)
}

/// A straight line through the factors against the wire that had come off by then, where it surely rises or falls. One odd
/// measurement in eight is left out where all the others lie on a line.
fn drift(points: &[LotPoint]) -> Option<Drift> {
    let of = |point: &LotPoint| Some((point.off_spool_mm? / 1000.0, point.flow, point.own_spread.powi(-2)));
    let mut seen: Vec<_> = points.iter().filter(|point| !point.aside).filter_map(of).collect();
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

impl LotLearned {
    /// As wire carries it into plans.
    #[must_use]
    pub fn lot(&self, lot_n: i64) -> LotFactor {
        LotFactor { lot_n, flow: self.flow, spread: self.spread }
    }

    /// What is known in a sentence, with what to do about what is odd.
    #[must_use]
    pub fn told(&self) -> String {
        let per_cent = |share: f64| format!("{:.0} %", 100.0 * share.abs());
        if self.measured_n == 0 {
            return format!(
                "Not measured yet, so the usual ± {} applies. Measure one coil, let go and not cut.",
                per_cent(HANDBOOK_SPREAD)
            );
        }
        let odd: Vec<&LotPoint> = self.points.iter().filter(|point| point.outlier && !point.aside).collect();
        let odd = match (&odd[..], self.measured_n) {
            ([], _) => "",
            (_, 1) => {
                " The one measurement doesn’t fit this metal. Measure it again, and the rod with the caliper."
            }
            (_, 2) => " The two measurements disagree: measure a third coil to see which is right.",
            ([_], _) => {
                " One reading looks wrong: measure it again, or set it aside. Plans hardly follow it."
            }
            _ => {
                " Some readings look wrong: measure them again, or set them aside. Plans hardly follow them."
            }
        };
        if self.spread > 0.9 * HANDBOOK_SPREAD && !odd.is_empty() {
            return format!(
                "Nothing learned yet, so the usual ± {} applies.{odd}",
                per_cent(HANDBOOK_SPREAD)
            );
        }
        let against = match self.flow - 1.0 {
            off if off > 0.005 => format!("{} more than", per_cent(off)),
            off if off < -0.005 => format!("{} less than", per_cent(off)),
            _ => "as".to_owned(),
        };
        let n = if self.measured_n == 1 {
            "one measurement".to_owned()
        } else {
            format!("{} measurements", self.measured_n)
        };
        let mut told = format!(
            "It springs back {against} usual for this metal, ± {} (was ± {}; {n}).",
            per_cent(self.spread.max(0.01)),
            per_cent(HANDBOOK_SPREAD)
        );
        if let Some(drift) = self.drift {
            let way = if drift.per_m > 0.0 { "stiffer" } else { "softer" };
            told.push_str(&format!(
                " The wire gets {way} along the spool, {:.1} % a metre. Plans use the value at the last \
                 measurement.",
                100.0 * drift.per_m.abs()
            ));
        }
        told.push_str(odd);
        told
    }
}
