//! What pull tests say of their lot.
//!
//! Over the section it began with, wire that was stretched by `ε = ln(l1/l0)` bears `σ(ε)·e^−ε`, and most where it necks
//! (Considère 1885). Both are the flow curve times the lot's factor, so that the factor is what was pulled over what the
//! table's metal would have borne.

use serde::Serialize;

use super::series::{Really, Seen, Series};
use super::{Asked, OUTLIER, without};
use crate::fault::Fault;
use crate::wire::bending::FlowCurve;
use crate::wire::lot::HANDBOOK_SPREAD;
use crate::wire::metal::MODULUS_SPREAD;
use crate::wire::pull::{PullTest, weight};
use crate::wire::strength::{GRAVITY, load_told};
use crate::wire::{SIZE_SPREAD, Wire};
use lorimant_text::text;

/// What a pull test says of its lot.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Pulled {
    /// The factor on the flow stress that alone would bear just so much.
    pub flow: f64,
    /// One standard deviation of it by the readings.
    pub own: f64,
    /// Whether it was set aside.
    pub excluded: bool,
}

/// A pull test among everything else that is known of its lot.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct PullPoint {
    /// The factor that alone would give what was read.
    pub flow: f64,
    /// One standard deviation of that factor.
    pub spread: f64,
    /// Whether it was set aside.
    pub excluded: bool,
    /// Whether it lies so far from what the others foretell that it should be made again, or set aside.
    pub outlier: bool,
}

/// The area follows the square of the wire's size, which is known to a hundredth.
pub(super) const BY_SIZE: f64 = 2.0 * SIZE_SPREAD;
/// How far a metal's flow curve lies from the table's in form, a factor aside, one standard deviation: where bends work it,
/// and for each unit of strain beyond. Soft copper breaks at about 220 MPa where the table's curve has 157. Estimates.
const CURVE: f64 = 0.05;
const CURVE_BEYOND: f64 = 0.6;
/// A hanging scale is read to a fiftieth. An estimate.
const SCALE: f64 = 0.02;
/// Wire may break a little early, at a nick or a clamp: one standard deviation. An estimate.
const EARLY: f64 = 0.04;
/// Both marks are read on a ruler, mm.
const RULER_MM: f64 = 0.35;
/// How many standard deviations from the usual a test is asked about: so near that pounds for kilograms is.
const FAR: f64 = 3.0;
/// How many it may be off to be what was meant.
const NEAR: f64 = 2.0;
/// What makes one weight out of another: a point misplaced, pounds for kilograms and the other way, grams for kilograms.
const SLIPS: [f64; 6] = [0.1, 10.0, 0.453_592_37, 1.0 / 0.453_592_37, 1000.0, 0.001];

impl PullTest {
    /// What it says of its lot, of such wire.
    ///
    /// ```
    /// use lorimant_core::wire::pull::PullTest;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::SterlingSilver, 0.8, Temper::Soft);
    /// let test = PullTest { weight_g: 0.0, length_mm: 500.0, stretched_mm: Some(540.0), excluded: false };
    /// // A tenth more than usual.
    /// let test = PullTest { weight_g: 1.1 * test.usual_g(&wire), ..test };
    /// assert!((test.says(&wire).flow - 1.1).abs() < 1e-9);
    /// ```
    #[must_use]
    pub fn says(&self, wire: &Wire) -> Pulled {
        let flow = self.weight_g / self.usual_g(wire);
        let curve = FlowCurve::new(wire.metal.figures(), wire.temper.strain());
        let strain = self.strain(&curve);
        // What the ruler leaves open of the strain, by what the curve makes of it.
        let ruler = curve.pulled(strain + RULER_MM / self.length_mm) / curve.pulled(strain) - 1.0;
        let read = if self.stretched_mm.is_some() { ruler } else { EARLY };
        let own = SCALE.hypot(read).hypot(CURVE_BEYOND * strain);
        Pulled { flow, own: own * flow, excluded: self.excluded }
    }

    /// What is doubtful about it, before it is kept: a fault at `doubt`, with the weight that was probably meant, g.
    ///
    /// # Errors
    /// That fault.
    pub fn doubt(&self, wire: &Wire) -> Result<(), Fault> {
        let spread = HANDBOOK_SPREAD.hypot(shared());
        let usual_g = self.usual_g(wire);
        let weighs = |g: f64| load_told(g / 1000.0 * GRAVITY);
        let within = |spreads: f64, g: f64| (g / usual_g - 1.0).abs() <= spreads * spread;
        if within(FAR, self.weight_g) {
            return Ok(());
        }
        let expected = text!(
            "pull-should-take",
            least = weighs((1.0 - FAR * spread) * usual_g),
            most = weighs((1.0 + FAR * spread) * usual_g),
            pulled = weight(self.weight_g)
        );
        Err(match SLIPS.iter().map(|times| times * self.weight_g).find(|g| within(NEAR, *g)) {
            Some(meant) => Fault::new("doubt", text!("pull-did-you-mean", expected, meant = weight(meant)))
                .suggest(meant),
            None => Fault::new("doubt", text!("pull-check-save-again", expected)),
        })
    }
}

/// One standard deviation of what all pull tests of a lot share: the wire's size, its modulus, the form of its curve.
fn shared() -> f64 {
    BY_SIZE.hypot(MODULUS_SPREAD).hypot(CURVE)
}

/// Pull tests of a lot as readings of its factor.
pub(super) fn series(pulls: &[Pulled]) -> Series {
    let seen = |(at, one): (usize, &Pulled)| Seen {
        at,
        value: one.flow,
        differs: 0.0,
        own: one.own,
        counts: !one.excluded,
    };
    Series { seen: pulls.iter().enumerate().map(seen).collect(), shared: shared(), gives: vec![] }
}

/// Each pull test beside what everything else foretells.
pub(super) fn points(
    asked: &Asked,
    really: &[Really],
    logs: &[Vec<f64>],
    pulls: &[Pulled],
) -> Vec<PullPoint> {
    let of = |(seen, one): (&Seen, &Pulled)| {
        let n = asked.rods.len();
        let others = without(asked, really, logs, (n, &asked.pulls, seen));
        let spread = shared().hypot(one.own);
        let outlier = (one.flow - others.mean).abs() > OUTLIER * others.spread.hypot(spread);
        PullPoint { flow: one.flow, spread, excluded: one.excluded, outlier }
    };
    asked.pulls.seen.iter().zip(pulls).map(of).collect()
}
