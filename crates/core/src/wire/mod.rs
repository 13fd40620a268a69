//! Wire: metal, section, size and temper; how it bends, springs back and bears.

pub mod bending;
pub mod hardening;
pub mod lot;
pub mod metal;
pub mod opening;
pub mod pull;
pub mod section;
pub mod strength;
pub mod surface;

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Span};
use crate::wire::lot::LotFactor;
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::{Profile, Section};
use crate::wire::surface::Surface;
use crate::words::gauge::{Gauge, GaugeSystem, MM_PER_INCH};
use crate::words::length::{self, Habits, LengthUnit, shown};
use lorimant_text::{Text, text};

/// One standard deviation of the size of drawn wire, as a share of it.
pub const SIZE_SPREAD: f64 = 0.01;

/// A wire as a request names it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Wire {
    /// What it is made of.
    pub metal: Metal,
    /// Shape of the cross-section; round if left out.
    #[serde(default = "round")]
    pub section: Section,
    /// Diameter of round, side of square, width of half-round wire, mm: 0.05 to 13.
    pub size_mm: f64,
    /// How hard it is; soft if left out, as unlabelled wire nearly always is.
    #[serde(default = "soft")]
    pub temper: Temper,
    /// What lies on its metal; bare if left out.
    #[serde(default = "bare", skip_serializing_if = "is_bare")]
    pub surface: Surface,
    /// The spool of the rack it is taken from, so that plans know how it springs; any if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub lot: Option<LotFactor>,
}

fn bare() -> Surface {
    Surface::Bare
}

#[expect(clippy::trivially_copy_pass_by_ref, reason = "serde asks so")]
fn is_bare(surface: &Surface) -> bool {
    *surface == Surface::Bare
}

fn round() -> Section {
    Section::Round
}

fn soft() -> Temper {
    Temper::Soft
}

impl Wire {
    /// Round wire.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// // A metre of it is π/4 cm³ times the density.
    /// let density = Metal::Copper.figures().density_g_cm3;
    /// assert!((wire.mass_g(1000.0) - std::f64::consts::FRAC_PI_4 * density).abs() < 1e-9);
    /// ```
    #[must_use]
    pub fn round(metal: Metal, size_mm: f64, temper: Temper) -> Self {
        Self { metal, section: Section::Round, size_mm, temper, surface: Surface::Bare, lot: None }
    }

    const SIZE: Span = Span { noun: Text::named("wire-wire-size"), unit: " mm", least: 0.05, most: 13.0 };

    /// Checks the size.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let thick = Wire::round(Metal::Copper, 30.0, Temper::Soft).check().unwrap_err();
    /// assert_eq!(thick.message, "The wire size of 30 mm is too large. It can be from 0.05 to 13 mm (0.002 to 0.512 in).");
    /// ```
    ///
    /// # Errors
    /// A fault at `size_mm` when it is not a number or outside 0.05 to 13 mm; those of its lot.
    pub fn check(&self) -> Result<(), Fault> {
        Self::SIZE.check("size_mm", self.size_mm)?;
        self.lot.map_or(Ok(()), LotFactor::check).map_err(|fault| fault.within("lot"))
    }

    /// One standard deviation of its flow stress as a share of the modulus, as a share of it: what is left to learn of
    /// the lot, or what metal as bought has.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::lot::LotFactor;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Hard);
    /// let measured = Wire { lot: Some(LotFactor { lot_n: 5, flow: 1.1, spread: 0.02 }), ..wire.clone() };
    /// assert!(measured.stress_spread() < wire.stress_spread() / 5.0);
    /// ```
    pub fn stress_spread(&self) -> f64 {
        self.lot.map_or(lot::HANDBOOK_SPREAD, |lot| lot.spread / lot.flow)
    }

    /// The same wire off any spool.
    #[must_use]
    pub fn of_any_lot(self) -> Self {
        Self { lot: None, ..self }
    }

    /// Its cross-section at its size.
    pub fn profile(&self) -> Profile {
        Profile { section: self.section, size_mm: self.size_mm }
    }

    /// The wire in words: `soft copper, round 1.02 mm (18 AWG)`.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0237, Temper::Soft);
    /// assert_eq!(wire.shown(LengthUnit::Mm), "soft copper, round 1.02 mm (18 AWG)");
    /// ```
    pub fn shown(&self, unit: LengthUnit) -> String {
        format!("{} {}, {} {}", self.temper, self.metal_shown(), self.section, self.size_shown(unit))
    }

    /// Its metal with what lies on it: `copper`, `plated copper`.
    #[must_use]
    pub fn metal_shown(&self) -> String {
        match self.covered() {
            Surface::Bare => self.metal.shown().to_owned(),
            surface => format!("{surface} {}", self.metal),
        }
    }

    /// The same wire with what was said of its metal: a metal said alone is bare.
    #[must_use]
    pub fn in_metal(self, (surface, metal): (Option<Surface>, Option<Metal>)) -> Self {
        let kept = if metal.is_some() { Surface::Bare } else { self.surface };
        Self { metal: metal.unwrap_or(self.metal), surface: surface.unwrap_or(kept), ..self }
    }

    /// What else could lie on it, as shops sell it.
    pub fn other_surfaces(&self) -> impl Iterator<Item = Surface> + use<> {
        let now = self.covered();
        let steel = self.metal == Metal::MildSteel;
        let all = [Surface::Bare, Surface::Plated, Surface::Coated, Surface::Galvanised];
        all.into_iter().filter(move |s| *s != now && (*s != Surface::Galvanised || steel))
    }

    /// What lies on it besides what its metal's name says: filled wire of a filled metal is as it should be.
    #[must_use]
    pub fn covered(&self) -> Surface {
        match self.surface {
            Surface::Filled if self.metal.figures().skin_share.is_some() => Surface::Bare,
            surface => surface,
        }
    }

    /// Whether it can stand for another wire in a plan: metal, section, temper and surface alike, sizes within
    /// half a hundredth of a millimetre.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0237, Temper::Soft);
    /// assert!(wire.stands_for(&Wire::round(Metal::Copper, 1.02, Temper::Soft)));
    /// assert!(!wire.stands_for(&Wire::round(Metal::Copper, 1.0, Temper::Soft)));
    /// ```
    pub fn stands_for(&self, other: &Self) -> bool {
        let kind = |wire: &Self| (wire.metal, wire.section, wire.temper, wire.covered());
        kind(self) == kind(other) && (self.size_mm - other.size_mm).abs() < 0.005
    }

    /// Mass of a length of it, grams. Mass = length · area · density.
    pub fn mass_g(&self, length_mm: f64) -> f64 {
        length_mm * self.profile().area_mm2() * self.metal.figures().density_g_cm3 / 1000.0
    }

    /// Length that has a mass, mm; the other way round from [`Wire::mass_g`].
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::SterlingSilver, 0.8, Temper::HalfHard);
    /// assert!((wire.length_of_mm(wire.mass_g(2500.0)) - 2500.0).abs() < 1e-9);
    /// ```
    pub fn length_of_mm(&self, mass_g: f64) -> f64 {
        mass_g / self.mass_g(1.0)
    }

    /// The gauge this size is sold as, in the system asked for, where it is one.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::words::gauge::GaugeSystem;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0237, Temper::Soft);
    /// assert_eq!(wire.gauge(GaugeSystem::Awg).unwrap().to_string(), "18 AWG");
    /// assert_eq!(wire.gauge(GaugeSystem::Swg), None);
    /// ```
    pub fn gauge(&self, system: GaugeSystem) -> Option<Gauge> {
        Some(Gauge::nearest(system, self.size_mm)).filter(|gauge| gauge.is(self.size_mm))
    }

    /// Its size so many nudges on: gauge by gauge where it is one of the workshop's, otherwise by a ruler's steps.
    /// Up is thicker, which a smaller gauge is.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::words::gauge::{Gauge, GaugeSystem};
    /// use lorimant_core::words::length::Habits;
    ///
    /// let awg = |number| Gauge { system: GaugeSystem::Awg, number }.mm();
    /// let wire = Wire::round(Metal::Copper, awg(18), Temper::Soft);
    /// assert_eq!(wire.size_nudged(1, Habits::default()), awg(17));
    /// assert_eq!(wire.size_nudged(-2, Habits::default()), awg(20));
    /// let metric = Wire::round(Metal::Copper, 1.2, Temper::Soft);
    /// assert_eq!(metric.size_nudged(1, Habits::default()), 1.3);
    /// ```
    pub fn size_nudged(&self, steps: i32, habits: Habits) -> f64 {
        match self.gauge(habits.gauge) {
            Some(Gauge { system, number }) => {
                let numbers = Gauge::numbers(system);
                let number = number.saturating_sub(steps).clamp(*numbers.start(), *numbers.end());
                Gauge { system, number }.mm()
            }
            None => length::nudged(self.size_mm, steps, habits.unit),
        }
    }

    /// Its size, with the gauge it is sold as where there is one: `1.02 mm (18 AWG)`, or for those
    /// who read inches first `18 AWG (1.02 mm)`, `0.0394 in (1 mm)`.
    ///
    /// ```
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0237, Temper::Soft);
    /// assert_eq!(wire.size_shown(LengthUnit::Inch), "18 AWG (1.02 mm)");
    /// assert_eq!(Wire::round(Metal::Copper, 1.0, Temper::Soft).size_shown(LengthUnit::Inch), "0.0394 in (1 mm)");
    /// ```
    pub fn size_shown(&self, unit: LengthUnit) -> String {
        let mut systems = vec![GaugeSystem::Awg, GaugeSystem::Swg];
        if self.metal.is_steel() {
            systems.push(GaugeSystem::SteelWire);
        }
        let gauge = systems.into_iter().find_map(|system| self.gauge(system));
        let (rounded, exact) = (shown(self.size_mm, 2), shown(self.size_mm, 3));
        match (unit, gauge) {
            (LengthUnit::Mm, Some(gauge)) => text!("wire-mm", rounded, gauge),
            (LengthUnit::Mm, None) => text!("wire-mm-2", exact),
            (LengthUnit::Inch, Some(gauge)) => text!("wire-mm-3", gauge, rounded),
            (LengthUnit::Inch, None) => {
                text!("wire-in-mm", size_mm = shown(self.size_mm / MM_PER_INCH, 4), exact)
            }
        }
    }
}

/// The twenty sizes wire is chosen from: those of the workshop's gauge from 2 mm down, or whole tenths.
///
/// ```
/// use lorimant_core::wire::sizes_sold;
/// use lorimant_core::words::length::Habits;
///
/// // Twenty sizes, as they are sold where the workshop buys.
/// assert_eq!(sizes_sold(Habits::default()).len(), 20);
/// ```
#[must_use]
pub fn sizes_sold(habits: Habits) -> Vec<f64> {
    match (habits.unit, habits.gauge) {
        (LengthUnit::Mm, GaugeSystem::Awg)
        | (LengthUnit::Inch, GaugeSystem::Awg | GaugeSystem::SteelWire) => {
            (12..32).filter_map(|n| Gauge::new(GaugeSystem::Awg, n)).map(Gauge::mm).collect()
        }
        (_, GaugeSystem::Swg) => {
            (14..34).filter_map(|n| Gauge::new(GaugeSystem::Swg, n)).map(Gauge::mm).collect()
        }
        (LengthUnit::Mm, GaugeSystem::SteelWire) => (3..23).map(|n| f64::from(n) / 10.0).collect(),
    }
}
