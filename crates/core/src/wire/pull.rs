//! The pull test: a length of wire is pulled until it stays longer, or breaks. The weight it took says how strong the wire
//! is, without a rod and before anything is wound.

use serde::{Deserialize, Serialize};

use super::Wire;
use super::bending::FlowCurve;
use super::strength::{GRAVITY, grams_that_pull, load_told};
use crate::fault::{Fault, Faults, Span};
use crate::words::length::{LengthUnit, on_ruler, shown};
use lorimant_text::{Text, text};

/// A length of wire that was pulled.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct PullTest {
    /// The most it was pulled with, g, 20 to 200,000.
    pub weight_g: f64,
    /// Length between its two marks before, mm, 50 to 5,000.
    pub length_mm: f64,
    /// Length between the marks once it was let go, mm; left out where it broke.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub stretched_mm: Option<f64>,
    /// Whether it was set aside: it is shown, and teaches nothing.
    #[serde(default, skip_serializing_if = "std::ops::Not::not")]
    pub excluded: bool,
}

/// How a pull test is made of a wire.
#[derive(Debug, Clone, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct PullHow {
    /// What to do, in turn.
    pub steps: Vec<String>,
    /// Whether it is pulled until it breaks, since it necks as soon as it flows.
    pub breaks: bool,
    /// What to look out for.
    pub caution: String,
    /// Why it is better not made by hand.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub too_heavy: Option<String>,
}

/// Wire that stayed longer by less than this share says little of its strength.
const LEAST_STRETCH: f64 = 0.01;
/// No wire of the trade stretches further before it necks.
const MOST_STRETCH: f64 = 0.5;

/// Length between the marks that is asked for, and of the wire about it, mm.
const MARKS_MM: f64 = 500.0;
const WIRE_MM: f64 = 700.0;
/// How much longer soft wire is asked to stay; wire that necks before is pulled until it breaks.
const ASKED_STRETCH: f64 = 0.06;
/// Nobody pulls more than this by hand, standing safely, g.
const HAND_G: f64 = 30_000.0;

const WEIGHT: Span = Span { noun: Text::named("pull-weight"), unit: " g", least: 20.0, most: 200_000.0 };
const LENGTH: Span = Span { noun: Text::named("pull-length"), unit: " mm", least: 50.0, most: 5000.0 };

impl PullTest {
    /// Checks its figures.
    ///
    /// ```
    /// use lorimant_core::wire::pull::PullTest;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let test = PullTest { weight_g: 5000.0, length_mm: 500.0, stretched_mm: Some(500.0), excluded: false };
    /// // Wire that springs back to its length was not pulled far enough.
    /// assert_eq!(test.check(LengthUnit::Mm).unwrap_err().0[0].field, "stretched_mm");
    /// ```
    ///
    /// # Errors
    /// Every fault found, each at its field; one at `stretched_mm` where the wire did not stay at least a hundredth longer, or
    /// more than half.
    pub fn check(&self, unit: LengthUnit) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.keep(WEIGHT.check("weight_g", self.weight_g));
        let length = faults.keep(LENGTH.check("length_mm", self.length_mm));
        if let Some((stretched_mm, length_mm)) = self.stretched_mm.zip(length) {
            let (least_mm, most_mm) = ((1.0 + LEAST_STRETCH) * length_mm, (1.0 + MOST_STRETCH) * length_mm);
            // Written so that what is no number is none either.
            if !(least_mm..=most_mm).contains(&stretched_mm) {
                let message = if stretched_mm < least_mm {
                    text!("pull-hardly-longer", least_mm = on_ruler(least_mm, unit))
                } else {
                    text!("pull-too-long", most_mm = on_ruler(most_mm, unit))
                };
                let limit = if stretched_mm < least_mm { least_mm } else { most_mm };
                faults.add(Fault::new("stretched_mm", message).limit(limit));
            }
        }
        faults.into_result()
    }

    /// How far it was pulled, as true strain; until it necks where it broke.
    pub(crate) fn strain(&self, flow: &FlowCurve) -> f64 {
        self.stretched_mm.map_or(f64::INFINITY, |mm| (mm / self.length_mm).ln()).min(flow.necks_at())
    }

    /// What wire of the table's metal would have taken, g.
    ///
    /// ```
    /// use lorimant_core::wire::pull::PullTest;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let test = PullTest { weight_g: 9000.0, length_mm: 500.0, stretched_mm: None, excluded: false };
    /// // Half-hard brass of 0.8 mm breaks at about 31 kg: 0.503 mm² at 605 MPa.
    /// let usual_g = test.usual_g(&Wire::round(Metal::Brass, 0.8, Temper::HalfHard));
    /// assert!((29_000.0..33_000.0).contains(&usual_g));
    /// ```
    #[must_use]
    pub fn usual_g(&self, wire: &Wire) -> f64 {
        let flow = FlowCurve::new(wire.metal.figures(), wire.temper.strain());
        grams_that_pull(wire.profile().area_mm2() * flow.pulled(self.strain(&flow)))
    }

    /// In a sentence, beside what is usual: `5.2 kg stretched 500 mm to 530 mm. Usual for this wire: about 4.8 kg.`
    ///
    /// ```
    /// use lorimant_core::wire::pull::PullTest;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let test = PullTest { weight_g: 9200.0, length_mm: 500.0, stretched_mm: None, excluded: false };
    /// let told = test.told(&Wire::round(Metal::Copper, 0.8, Temper::Soft), LengthUnit::Mm);
    /// assert!(told.starts_with("Broke at 9.2 kg."), "{told}");
    /// ```
    #[must_use]
    pub fn told(&self, wire: &Wire, unit: LengthUnit) -> String {
        let usual = load_told(self.usual_g(wire) / 1000.0 * GRAVITY);
        let pulled = weight(self.weight_g);
        match self.stretched_mm {
            Some(mm) => text!(
                "pull-stretched",
                pulled,
                length_mm = on_ruler(self.length_mm, unit),
                stretched_mm = on_ruler(mm, unit),
                usual
            ),
            None => text!("pull-broke", pulled, usual),
        }
    }

    /// How it is made of such wire: stretched where it stretches, else until it breaks.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::wire::pull::PullTest;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let how = PullTest::how(&Wire::round(Metal::Copper, 0.8, Temper::Soft), LengthUnit::Mm);
    /// assert!(how.steps[2].contains("30 mm further apart") && how.too_heavy.is_none());
    /// let thick = PullTest::how(&Wire::round(Metal::StainlessSteel, 3.0, Temper::Hard), LengthUnit::Mm);
    /// assert!(thick.too_heavy.is_some());
    /// ```
    #[must_use]
    pub fn how(wire: &Wire, unit: LengthUnit) -> PullHow {
        let flow = FlowCurve::new(wire.metal.figures(), wire.temper.strain());
        let stretches = flow.necks_at() > ASKED_STRETCH;
        let stretched_mm = stretches.then_some((1.0 + ASKED_STRETCH) * MARKS_MM);
        let test = Self { weight_g: 0.0, length_mm: MARKS_MM, stretched_mm, excluded: false };
        let usual_g = test.usual_g(wire);
        let usual = load_told(usual_g / 1000.0 * GRAVITY);
        let pull = if stretches {
            text!("pull-how-stretch", usual, longer = on_ruler(ASKED_STRETCH * MARKS_MM, unit))
        } else {
            text!("pull-how-break", usual)
        };
        let clamp = text!("pull-how-clamp", wire = on_ruler(WIRE_MM, unit));
        let mark = text!("pull-how-mark", between = on_ruler(MARKS_MM, unit));
        PullHow {
            steps: vec![clamp, mark, pull],
            breaks: !stretches,
            caution: text!("pull-caution").to_owned(),
            too_heavy: (usual_g > HAND_G).then(|| text!("pull-too-heavy", usual)),
        }
    }
}

/// A weight as a hanging scale shows it.
pub(crate) fn weight(g: f64) -> String {
    if g < 1000.0 { text!("pull-g", g = shown(g, 0)) } else { text!("pull-kg", kg = shown(g / 1000.0, 2)) }
}
