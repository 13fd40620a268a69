//! Wire gauges: numbers that stand for sizes, in three systems that disagree.

use serde::{Deserialize, Serialize};

use crate::words::words;
use lorimant_text::{fixed, text};

/// Millimetres in an inch, exact by definition.
pub const MM_PER_INCH: f64 = 25.4;

words! {
    /// A numbering of wire sizes.
    pub enum GaugeSystem ("gauge-system") {
        /// American wire gauge, the same as Brown & Sharpe.
        Awg = "awg";
        /// British legal standard wire gauge.
        Swg = "swg";
        /// US steel wire gauge, the Washburn & Moen table; steel only.
        SteelWire = "steel-wire";
    }
}

/// British legal standard, inches, numbers 0 to 40.
const SWG_INCH: [f64; 41] = [
    0.324, 0.300, 0.276, 0.252, 0.232, 0.212, 0.192, 0.176, 0.160, 0.144, 0.128, 0.116, 0.104, 0.092, 0.080,
    0.072, 0.064, 0.056, 0.048, 0.040, 0.036, 0.032, 0.028, 0.024, 0.022, 0.020, 0.018, 0.0164, 0.0148,
    0.0136, 0.0124, 0.0116, 0.0108, 0.0100, 0.0092, 0.0084, 0.0076, 0.0068, 0.0060, 0.0052, 0.0048,
];

/// US steel wire gauge (Washburn & Moen), inches, numbers 0 to 40.
const STEEL_WIRE_INCH: [f64; 41] = [
    0.3065, 0.2830, 0.2625, 0.2437, 0.2253, 0.2070, 0.1920, 0.1770, 0.1620, 0.1483, 0.1350, 0.1205, 0.1055,
    0.0915, 0.0800, 0.0720, 0.0625, 0.0540, 0.0475, 0.0410, 0.0348, 0.0317, 0.0286, 0.0258, 0.0230, 0.0204,
    0.0181, 0.0173, 0.0162, 0.0150, 0.0140, 0.0132, 0.0128, 0.0118, 0.0104, 0.0095, 0.0090, 0.0085, 0.0080,
    0.0075, 0.0070,
];

/// A gauge number in its system. Numbers below zero are the sizes written 2/0, 3/0, 4/0.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Gauge {
    /// Whose numbering.
    pub system: GaugeSystem,
    /// The number; −1 is written 2/0, −2 is 3/0, −3 is 4/0.
    pub number: i32,
}

impl Gauge {
    /// The numbers a system has, from its thickest wire to its thinnest.
    pub fn numbers(system: GaugeSystem) -> std::ops::RangeInclusive<i32> {
        match system {
            GaugeSystem::Awg => -3..=40,
            GaugeSystem::Swg | GaugeSystem::SteelWire => 0..=40,
        }
    }

    /// The gauge with this number, or `None` where the system has no such number.
    ///
    /// ```
    /// use lorimant_core::words::gauge::{Gauge, GaugeSystem};
    ///
    /// assert_eq!(Gauge::new(GaugeSystem::Awg, -1).unwrap().to_string(), "2/0 AWG");
    /// assert_eq!(Gauge::new(GaugeSystem::Swg, 60), None);
    /// ```
    pub fn new(system: GaugeSystem, number: i32) -> Option<Self> {
        Self::numbers(system).contains(&number).then_some(Self { system, number })
    }

    /// Wire size in mm.
    ///
    /// AWG: `d = 0.127 · 92^((36 − n)/39)`, exact by definition (ASTM B258). The others by table.
    ///
    /// ```
    /// use lorimant_core::words::gauge::{Gauge, GaugeSystem};
    ///
    /// let mm = Gauge::new(GaugeSystem::Awg, 36).unwrap().mm();
    /// assert!((mm - 0.127).abs() < 1e-12);
    /// ```
    pub fn mm(self) -> f64 {
        let by_table = |table: &[f64]| {
            let row = usize::try_from(self.number).unwrap_or(0).min(table.len() - 1);
            table[row] * MM_PER_INCH
        };
        match self.system {
            GaugeSystem::Awg => 0.127 * 92f64.powf(f64::from(36 - self.number) / 39.0),
            GaugeSystem::Swg => by_table(&SWG_INCH),
            GaugeSystem::SteelWire => by_table(&STEEL_WIRE_INCH),
        }
    }

    /// The gauge nearest to a size in mm, by ratio of the sizes.
    ///
    /// ```
    /// use lorimant_core::words::gauge::{Gauge, GaugeSystem};
    ///
    /// assert_eq!(Gauge::nearest(GaugeSystem::Awg, 0.8).to_string(), "20 AWG");
    /// ```
    pub fn nearest(system: GaugeSystem, mm: f64) -> Self {
        let (mut best, mut off) = (*Self::numbers(system).start(), f64::INFINITY);
        for number in Self::numbers(system) {
            let here = (Self { system, number }.mm() / mm).ln().abs();
            if here < off {
                (best, off) = (number, here);
            }
        }
        Self { system, number: best }
    }

    /// Whether a size in mm is this gauge, to the half-thousandth of a millimetre that tables print.
    ///
    /// ```
    /// use lorimant_core::words::gauge::{Gauge, GaugeSystem};
    ///
    /// let eighteen = Gauge { system: GaugeSystem::Awg, number: 18 };
    /// assert!(eighteen.is(1.0237) && !eighteen.is(1.02));
    /// ```
    pub fn is(self, mm: f64) -> bool {
        (self.mm() - mm).abs() < 0.0005
    }
}

impl std::fmt::Display for Gauge {
    fn fmt(&self, f: &mut std::fmt::Formatter) -> std::fmt::Result {
        match self.number {
            n if n < 0 => write!(f, "{}/0 {}", 1 - n, self.system),
            n => write!(f, "{n} {}", self.system),
        }
    }
}

/// One line of a gauge table.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct GaugeRow {
    /// Which gauge it is.
    pub gauge: Gauge,
    /// The number as people write it, for example `18` or `2/0`.
    pub number: String,
    /// Size in millimetres.
    pub size_mm: f64,
    /// Size in inches.
    pub size_in: f64,
    /// The size's nearest numbers in the other systems, written out.
    pub nearest: Vec<String>,
}

/// The whole table of one system, thickest wire first.
///
/// ```
/// use lorimant_core::words::gauge::{GaugeSystem, table};
///
/// let rows = table(GaugeSystem::Awg);
/// assert!(rows.windows(2).all(|pair| pair[0].size_mm > pair[1].size_mm));
/// ```
pub fn table(system: GaugeSystem) -> Vec<GaugeRow> {
    Gauge::numbers(system)
        .map(|number| {
            let gauge = Gauge { system, number };
            let size_mm = gauge.mm();
            let nearest = GaugeSystem::ALL
                .iter()
                .filter(|other| **other != system)
                .map(|other| nearest_told(*other, size_mm))
                .collect();
            let written = gauge.to_string();
            let number = written.split(' ').next().unwrap_or_default().to_owned();
            GaugeRow { gauge, number, size_mm, size_in: size_mm / MM_PER_INCH, nearest }
        })
        .collect()
}

/// The nearest number of a system to a size, in words; a size beyond its table says so.
///
/// ```
/// use lorimant_core::words::gauge::{GaugeSystem, nearest_told};
///
/// assert_eq!(nearest_told(GaugeSystem::Awg, 1.0237), "18 AWG");
/// assert_eq!(nearest_told(GaugeSystem::Awg, 1.0), "nearest 18 AWG (1.024 mm, 2.4 % thicker)");
/// ```
pub fn nearest_told(system: GaugeSystem, mm: f64) -> String {
    let near = Gauge::nearest(system, mm);
    let size = near.mm();
    let numbers = Gauge::numbers(system);
    // Neighbouring numbers are at most about a tenth apart.
    let beyond = (mm / size).ln().abs() > 0.07;
    if near.is(mm) {
        format!("{near}")
    } else if beyond && near.number == *numbers.start() {
        text!("gauge-thicker-than", near)
    } else if beyond && near.number == *numbers.end() {
        text!("gauge-thinner-than", near)
    } else {
        // Gauges go by steps of the ratio, so nearness is one too.
        let share = 100.0 * (size / mm - 1.0).abs();
        text!("gauge-nearest-mm", near, size = fixed(size, 3), share = fixed(share, 1), thicker = size > mm)
    }
}
