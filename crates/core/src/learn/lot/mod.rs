//! How a lot springs: learned from coils and rings that were measured, and from wire that was pulled.
//!
//! One factor on the flow stress, as a share of the modulus, is not known of a lot. What was measured says how likely each
//! value of it is (Bayes): the handbook's spread comes first, each measured inside speaks for the factors that would give
//! it. The factor is put on a grid, since a springback is no straight line of it.

mod drift;
mod one_rod;
pub mod pull;
pub mod rods;
mod series;

use serde::Serialize;

use self::drift::drift;
use self::one_rod::OneRod;
use self::pull::{PullPoint, Pulled};
use self::rods::RodError;
use self::series::{Really, Series};
use crate::ring::RingRequest;
use crate::tool::coil::Coil;
use crate::tool::hand::HandSpread;
use crate::tool::mandrel::Mandrel;
use crate::tool::workshop::Workshop;
use crate::wire::SIZE_SPREAD;
use crate::wire::bending::Bending;
use crate::wire::lot::{HANDBOOK_SPREAD, LotFactor};
use crate::words::words;
use lorimant_text::{fixed, text};

words! {
    /// What of a wound piece was measured.
    pub enum Inside ("inside") {
        /// The coil, let go and not cut.
        Coil = "coil";
        /// A ring, cut and closed.
        Ring = "ring";
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
    pub excluded: bool,
}

/// Everything that was measured of a lot.
#[derive(Debug, Clone, PartialEq, Default)]
pub struct MeasuredLot {
    /// Its coils and rings.
    pub insides: Vec<MeasuredInside>,
    /// Its pull tests.
    pub pulls: Vec<Pulled>,
}

/// What one measured inside says, for the plot.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct LotPoint {
    /// The factor that alone would give what was measured.
    pub flow: f64,
    /// One standard deviation of that factor, from hand, rod and caliper.
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
    pub excluded: bool,
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
    /// One standard deviation of that factor.
    pub spread: f64,
    /// That deviation before anything was measured, of the factor too: what the handbook leaves open.
    pub handbook_spread: f64,
    /// How many measurements teach it.
    pub measured_n: u32,
    /// Each coil and ring, in the order it was given.
    pub points: Vec<LotPoint>,
    /// Each pull test, in the order it was given.
    pub pulls: Vec<PullPoint>,
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
pub(super) fn shared_mm(wound: &RingRequest, of: Inside, hand: &HandSpread) -> f64 {
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
/// use lorimant_core::tool::{hand::HandSpread, mandrel::Mandrel};
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
///
/// let wire = Wire::round(Metal::SterlingSilver, 0.8, Temper::Hard);
/// let wound = RingRequest::new(wire, Mandrel::round(6.0), 20);
/// // A coil of a lot that is a tenth stronger.
/// let inside_mm = inside_with(&wound, Inside::Coil, 1.1).unwrap();
/// let coil = MeasuredInside { wound, of: Inside::Coil, inside_mm, readings_n: 3, off_spool_mm: None, excluded: false };
/// let learned = learn(&[coil], &HandSpread::default());
/// // One coil draws the plan most of the way.
/// assert!((learned.flow - 1.1).abs() < 0.03 && learned.spread < 0.08);
/// ```
#[must_use]
pub fn learn(measured: &[MeasuredInside], hand: &HandSpread) -> LotLearned {
    let lot = MeasuredLot { insides: measured.to_vec(), pulls: vec![] };
    learn_on(&lot, hand, &|rod| RodError::unknown(rod, hand))
}

/// Everything that was measured of a lot, asked what each factor of a grid would give.
struct Asked<'a> {
    rods: Vec<OneRod<'a>>,
    pulls: Series,
    values: Vec<f64>,
}

impl<'a> Asked<'a> {
    fn of(lot: &'a MeasuredLot, hand: &HandSpread, rods_error: &dyn Fn(&Mandrel) -> RodError) -> Self {
        let rods = OneRod::of(&lot.insides, hand, rods_error);
        let mut asked = Self { rods, pulls: pull::series(&lot.pulls), values: vec![] };
        asked.ask(grid(1.0, HANDBOOK_SPREAD));
        asked
    }

    fn ask(&mut self, values: Vec<f64>) {
        self.rods.iter_mut().for_each(|rod| rod.ask(&values));
        self.pulls.gives.clone_from(&values);
        self.values = values;
    }

    /// The series: of each rod, and of the pull tests as the last.
    fn series(&self) -> impl Iterator<Item = &Series> {
        self.rods.iter().map(|rod| &rod.series).chain([&self.pulls])
    }

    /// What could really be read in each series; the same for every grid.
    fn really(&self) -> Vec<Really> {
        self.series().map(Series::really).collect()
    }

    /// How likely each series makes the factors.
    fn logs(&self, really: &[Really]) -> Vec<Vec<f64>> {
        self.series().zip(really).map(|(series, really)| series.logs(really, None)).collect()
    }
}

/// The same on rods of which something is known.
fn learn_on(lot: &MeasuredLot, hand: &HandSpread, rods_error: &dyn Fn(&Mandrel) -> RodError) -> LotLearned {
    if lot.insides.is_empty() && lot.pulls.is_empty() {
        return LotLearned {
            flow: 1.0,
            spread: HANDBOOK_SPREAD,
            handbook_spread: HANDBOOK_SPREAD,
            measured_n: 0,
            points: vec![],
            pulls: vec![],
            drift: None,
            rods: vec![],
        };
    }
    let mut asked = Asked::of(lot, hand, rods_error);
    let really = asked.really();
    let logs = asked.logs(&really);
    let mut belief = Belief::of(&asked.values, logs.iter());
    // Told on the wide grid: what the others foretell may lie far from what an odd one drags all to.
    let mut points = points(&asked, &really, &logs, &belief, &lot.insides);
    let pulls = pull::points(&asked, &really, &logs, &lot.pulls);
    let coarse = asked.values.get(1).zip(asked.values.first()).map_or(1.0, |(b, a)| b - a);
    if belief.spread < 3.0 * coarse {
        asked.ask(grid(belief.mean, belief.spread.max(coarse / 2.0)));
        belief = Belief::of(&asked.values, asked.logs(&really).iter());
    }
    for OneRod { series, .. } in &asked.rods {
        let now_mm = belief.foretells(&series.gives).0;
        series.seen.iter().for_each(|seen| points[seen.at].now_mm = now_mm + seen.differs);
    }
    // However many are measured: the wire is one, and so is what its size is off by.
    let by_size = |rod: &OneRod| {
        let slope = slope(rod.wound, rod.of, belief.mean);
        if slope > 1e-6 { rod.by_size_mm.abs() / slope } else { HANDBOOK_SPREAD }
    };
    let by_pulls = if lot.pulls.is_empty() { HANDBOOK_SPREAD } else { pull::BY_SIZE };
    let least = asked.rods.iter().map(by_size).fold(by_pulls, f64::min);
    belief.spread = belief.spread.max(least);
    let drift = drift(&points);
    if let Some(drift) = drift {
        for point in &mut points {
            let along = |mm: f64| drift.here + drift.per_m * (mm / 1000.0 - drift.last_m);
            point.off = point.off_spool_mm.map_or(0.0, |mm| (point.flow - along(mm)) / point.own_spread);
            point.outlier = point.off.abs() > OUTLIER;
        }
    }
    let counts = points.iter().map(|one| one.excluded).chain(pulls.iter().map(|one| one.excluded));
    let (flow, spread) = drift.map_or((belief.mean, belief.spread), |drift| (drift.here, drift.here_spread));
    LotLearned {
        flow,
        spread,
        handbook_spread: HANDBOOK_SPREAD,
        measured_n: u32::try_from(counts.filter(|excluded| !excluded).count()).unwrap_or(u32::MAX),
        points,
        pulls,
        drift,
        rods: asked.rods.iter().map(|rod| rod.wound.mandrel.clone()).collect(),
    }
}

/// How likely all series make the factors without one of a series, `n`, that is looked at.
fn without(
    asked: &Asked,
    really: &[Really],
    logs: &[Vec<f64>],
    (n, series, seen): (usize, &Series, &series::Seen),
) -> Belief {
    let without = series.logs(&really[n], Some(seen).filter(|seen| seen.counts));
    Belief::of(&asked.values, logs.iter().enumerate().map(|(i, of)| if i == n { &without } else { of }))
}

/// How much an inside grows with the factor, mm.
pub(super) fn slope(wound: &RingRequest, of: Inside, flow: f64) -> f64 {
    let at = |flow| inside_with(wound, of, flow);
    at(flow - 0.01).zip(at(flow + 0.01)).map_or(0.0, |(a, b)| (b - a) / 0.02)
}

fn points(
    asked: &Asked,
    really: &[Really],
    logs: &[Vec<f64>],
    belief: &Belief,
    measured: &[MeasuredInside],
) -> Vec<LotPoint> {
    let mut points: Vec<(usize, LotPoint)> = vec![];
    for (n, rod) in asked.rods.iter().enumerate() {
        let slope = slope(rod.wound, rod.of, belief.mean);
        let by_slope = |mm: f64| if slope > 1e-6 { mm / slope } else { HANDBOOK_SPREAD };
        let foretold = belief.foretells(&rod.series.gives).0;
        for seen in &rod.series.seen {
            let one = &measured[seen.at];
            let all = rod.series.shared.hypot(seen.own);
            let (mean, spread) =
                without(asked, really, logs, (n, &rod.series, seen)).foretells(&rod.series.gives);
            // Those wound on the same rod have its error in common: only their own chance tells them apart.
            let off = (seen.value - mean) / spread.hypot(all);
            points.push((
                seen.at,
                LotPoint {
                    flow: flow_giving(&one.wound, one.of, one.inside_mm - rod.off_mm),
                    spread: by_slope(all),
                    own_spread: by_slope(seen.own),
                    inside_mm: one.inside_mm,
                    handbook_mm: inside_with(&one.wound, one.of, 1.0).unwrap_or(0.0),
                    now_mm: foretold + seen.differs,
                    off_spool_mm: one.off_spool_mm,
                    excluded: one.excluded,
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

impl LotLearned {
    /// As wire carries it into plans.
    #[must_use]
    pub fn lot(&self, lot_n: i64) -> LotFactor {
        LotFactor { lot_n, flow: self.flow, spread: self.spread }
    }

    /// Whether several coils agree with one another and with no wire of their metal, and if so whether they came out larger
    /// (`true`) or smaller: then it is the rod that is not what its label says.
    #[must_use]
    pub fn accuses_rod(&self) -> Option<bool> {
        let counted: Vec<&LotPoint> = self.points.iter().filter(|point| !point.excluded).collect();
        let larger = counted.first()?.off > 0.0;
        let all = counted.iter().all(|point| point.outlier && (point.off > 0.0) == larger);
        (counted.len() > 1 && all).then_some(larger)
    }

    /// What is known in a sentence, in a workshop: a rod that is not, or no longer, among its tools cannot be corrected there.
    #[must_use]
    pub fn told_in(&self, workshop: &Workshop) -> String {
        let owned = self.rods.iter().any(|rod| workshop.own(rod).is_some());
        if self.accuses_rod().is_some() && !owned {
            let handbook_spread = format!("{:.0} %", 100.0 * HANDBOOK_SPREAD);
            return text!(
                "lot-nothing-learned-yet-so-usual",
                handbook_spread,
                odd = text!("lot-rod-not-among-tools")
            );
        }
        self.told()
    }

    /// What is known in a sentence, with what to do about what is odd.
    #[must_use]
    pub fn told(&self) -> String {
        let per_cent = |share: f64| format!("{:.0} %", 100.0 * share.abs());
        if self.measured_n == 0 {
            return text!("lot-not-measured-yet-so-usual", handbook_spread = per_cent(HANDBOOK_SPREAD));
        }
        let odd: Vec<&LotPoint> =
            self.points.iter().filter(|point| point.outlier && !point.excluded).collect();
        let odd = match (&odd[..], self.measured_n) {
            ([], _) => "",
            // They agree with one another, and no wire of this metal is so: it is the rod.
            _ if self.accuses_rod() == Some(true) => text!("lot-all-larger-than-metal-gives"),
            _ if self.accuses_rod() == Some(false) => text!("lot-all-smaller-than-metal-gives"),
            (_, 1) => {
                text!("lot-one-measurement-doesnt-fit-this")
            }
            (_, 2) => text!("lot-two-measurements-disagree-measure-third"),
            ([_], _) => {
                text!("lot-one-reading-looks-wrong-measure")
            }
            _ => {
                text!("lot-some-readings-look-wrong-measure")
            }
        };
        if self.spread > 0.9 * HANDBOOK_SPREAD && !odd.is_empty() {
            return text!(
                "lot-nothing-learned-yet-so-usual",
                handbook_spread = per_cent(HANDBOOK_SPREAD),
                odd
            );
        }
        let against = match self.flow - 1.0 {
            off if off > 0.005 => text!("lot-more-than", off = per_cent(off)),
            off if off < -0.005 => text!("lot-less-than", off = per_cent(off)),
            _ => text!("lot-as").to_owned(),
        };
        let n = if self.measured_n == 1 {
            text!("lot-one-measurement").to_owned()
        } else {
            text!("lot-measurements", measured_n = self.measured_n)
        };
        let mut told = text!(
            "lot-springs-back-usual-for-this",
            against,
            spread = per_cent(self.spread.max(0.01)),
            handbook_spread = per_cent(HANDBOOK_SPREAD),
            n
        );
        if let Some(drift) = self.drift {
            told.push_str(&text!(
                "lot-wire-gets-along-spool-metre",
                stiffer = drift.per_m > 0.0,
                per_m = fixed(100.0 * drift.per_m.abs(), 1)
            ));
        }
        told.push_str(odd);
        told
    }
}
