//! How a metal hardens as it is worked: one curve, which bending, drawing and hammering all move along.

use serde::Serialize;

use super::Wire;
use super::bending::FlowCurve;
use super::metal::{FLOW_STRESS_SPREAD, Metal, ONE_NUMBER_DRAWN, Temper};

/// Wire at one place of its metal's curve.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct HardenedBy {
    /// Gauge numbers drawn since it was annealed, or worked as much.
    pub drawn_n: f64,
    /// Stress at which it begins to flow, MPa.
    pub yields_mpa: f64,
    /// One standard deviation of that, MPa.
    pub spread_mpa: f64,
}

/// A temper on its metal's curve.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct TemperOnCurve {
    /// What it is called.
    pub label: &'static str,
    /// Where it lies.
    #[serde(flatten)]
    pub at: HardenedBy,
    /// What it bears before it breaks, over its first section, MPa.
    pub breaks_mpa: f64,
}

/// A metal's curve from annealed to spring hard.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct HardeningCurve {
    /// The curve, four places to a gauge number.
    pub points: Vec<HardenedBy>,
    /// The tempers that wire of it is sold in.
    pub tempers: Vec<TemperOnCurve>,
}

/// The curve goes as far as wire is drawn: eight gauge numbers, spring hard.
const MOST_DRAWN: u32 = 8;

impl HardenedBy {
    fn at(metal: Metal, strain: f64, flow: f64, spread: f64) -> Self {
        let yields_mpa = FlowCurve::new(metal.figures(), strain).strengthened(flow).flow_stress(0.0);
        Self { drawn_n: strain / ONE_NUMBER_DRAWN, yields_mpa, spread_mpa: spread / flow * yields_mpa }
    }

    /// Where a wire lies; one of a lot that was measured by what was learned of it.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::hardening::HardenedBy;
    /// use lorimant_core::wire::lot::LotFactor;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let usual = Wire::round(Metal::Copper, 1.0, Temper::HalfHard);
    /// let lot = Some(LotFactor { lot_n: 5, flow: 1.1, spread: 0.04 });
    /// let learned = HardenedBy::of(&Wire { lot, ..usual.clone() });
    /// assert!((learned.yields_mpa / HardenedBy::of(&usual).yields_mpa - 1.1).abs() < 1e-12);
    /// assert!((learned.drawn_n - 2.0).abs() < 0.01, "half hard is two numbers drawn");
    /// ```
    #[must_use]
    pub fn of(wire: &Wire) -> Self {
        let (flow, spread) = wire.lot.map_or((1.0, FLOW_STRESS_SPREAD), |lot| (lot.flow, lot.spread));
        Self::at(wire.metal, wire.temper.strain(), flow, spread)
    }
}

/// How a metal hardens, as the table has it.
///
/// ```
/// use lorimant_core::wire::hardening::hardening;
/// use lorimant_core::wire::metal::Metal;
///
/// let brass = hardening(Metal::Brass);
/// assert!(brass.points.windows(2).all(|pair| pair[0].yields_mpa < pair[1].yields_mpa));
/// // Handbooks list about 605 MPa for half-hard brass wire.
/// let half_hard = brass.tempers.iter().find(|temper| temper.label == "half-hard").unwrap();
/// assert!((half_hard.breaks_mpa / 605.0 - 1.0).abs() < 0.1);
/// ```
#[must_use]
pub fn hardening(metal: Metal) -> HardeningCurve {
    let at = |strain: f64| HardenedBy::at(metal, strain, 1.0, FLOW_STRESS_SPREAD);
    let temper = |temper: &Temper| {
        let flow = FlowCurve::new(metal.figures(), temper.strain());
        let breaks_mpa = flow.pulled(flow.necks_at());
        TemperOnCurve { label: temper.shown(), at: at(temper.strain()), breaks_mpa }
    };
    HardeningCurve {
        points: (0..=4 * MOST_DRAWN).map(|i| at(f64::from(i) / 4.0 * ONE_NUMBER_DRAWN)).collect(),
        tempers: Temper::ALL.iter().filter(|one| metal.is_sold_in(**one)).map(temper).collect(),
    }
}
