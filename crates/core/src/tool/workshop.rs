//! What a workshop owns and how it reads numbers, as far as planning needs it.

use serde::{Deserialize, Serialize};

use crate::tool::cutting::Blade;
use crate::tool::gear::Gear;
use crate::tool::hand::HandSpread;
use crate::tool::mandrel::Mandrel;
use crate::tool::method::{Methods, Straightening};
use crate::tool::plier::Plier;
use crate::tool::tolerance::Tolerances;
use crate::wire::Wire;
use crate::wire::lot::LotFactor;
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::Habits;
use crate::words::words;
use lorimant_text::text;

/// The rods, pliers and blades at hand, and the workshop's habits.
#[derive(Debug, Clone, PartialEq, Default, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Workshop {
    /// Its rods.
    pub rods: Vec<Mandrel>,
    /// Its pliers with measured jaws.
    pub pliers: Vec<Plier>,
    /// Its saw blades.
    pub blades: Vec<Blade>,
    /// How bare numbers and gauges are read, and which unit is shown first.
    pub habits: Habits,
    /// How even its handwork is.
    pub hand: HandSpread,
    /// Its methods, where makers differ.
    #[serde(alias = "schools")]
    pub methods: Methods,
    /// What else stands on its bench.
    pub gear: Gear,
    /// What it lets pass.
    pub tolerances: Tolerances,
    /// The wires of its rack whose lots were measured, each with what was learned of it.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub lots: Vec<Wire>,
}

impl Workshop {
    /// Puts into a wire what was learned of its lot by now; one that names no lot is left as it is.
    ///
    /// ```
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::lot::LotFactor;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let learned = LotFactor { lot_n: 5, flow: 1.1, spread: 0.02 };
    /// let copper = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let on_the_rack = Wire { lot: Some(learned), ..copper.clone() };
    /// let workshop = Workshop { lots: vec![on_the_rack], ..Workshop::default() };
    /// let mut wire = Wire { lot: Some(LotFactor::unmeasured(5)), ..copper };
    /// workshop.knows(&mut wire);
    /// assert_eq!(wire.lot, Some(learned));
    /// ```
    pub fn knows(&self, wire: &mut Wire) {
        if let Some(lot) = wire.lot {
            wire.lot = Some(self.lot(lot.lot_n));
        }
    }

    /// What is known of a lot; what the handbook says of one that nobody measured.
    #[must_use]
    pub fn lot(&self, lot_n: i64) -> LotFactor {
        let known = self.lots.iter().filter_map(|wire| wire.lot).find(|lot| lot.lot_n == lot_n);
        known.unwrap_or(LotFactor::unmeasured(lot_n))
    }

    /// The measured lots that a wire could be taken from.
    pub fn lots_of<'a>(&'a self, wire: &'a Wire) -> impl Iterator<Item = LotFactor> + 'a {
        self.lots.iter().filter(|known| known.stands_for(wire)).filter_map(|known| known.lot)
    }

    /// The pliers of a name, however it is written.
    ///
    /// ```
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// assert!(Workshop::default().plier("slim round-nose").is_none());
    /// ```
    #[must_use]
    pub fn plier(&self, name: &str) -> Option<&Plier> {
        self.pliers.iter().find(|plier| plier.name.trim().eq_ignore_ascii_case(name.trim()))
    }
}

words! {
    /// A ready list of rods to take over.
    pub enum StartSet ("start-set") {
        /// Metric drills by halves.
        MetricHalves = "metric-drills-by-0.5";
        /// Metric drills by tenths.
        MetricTenths = "metric-drills-by-0.1";
        /// Fractional inch drills.
        FractionalDrills = "fractional-drills";
        /// Numbered drills.
        NumberedDrills = "numbered-drills";
        /// Knitting needles.
        KnittingNeedles = "knitting-needles";
        /// Wooden dowels, metric and inch.
        Dowels = "dowels";
    }
}

/// Numbered drills 1 to 60, inches (ASME B94.11M).
const NUMBERED_INCH: [f64; 60] = [
    0.2280, 0.2210, 0.2130, 0.2090, 0.2055, 0.2040, 0.2010, 0.1990, 0.1960, 0.1935, 0.1910, 0.1890, 0.1850,
    0.1820, 0.1800, 0.1770, 0.1730, 0.1695, 0.1660, 0.1610, 0.1590, 0.1570, 0.1540, 0.1520, 0.1495, 0.1470,
    0.1440, 0.1405, 0.1360, 0.1285, 0.1200, 0.1160, 0.1130, 0.1110, 0.1100, 0.1065, 0.1040, 0.1015, 0.0995,
    0.0980, 0.0960, 0.0935, 0.0890, 0.0860, 0.0820, 0.0810, 0.0785, 0.0760, 0.0730, 0.0700, 0.0670, 0.0635,
    0.0595, 0.0550, 0.0520, 0.0465, 0.0430, 0.0420, 0.0410, 0.0400,
];

/// Knitting needles: mm, US number, UK number; a dash where a system has none.
const NEEDLES: [(f64, &str, &str); 20] = [
    (2.0, "0", "14"),
    (2.25, "1", "13"),
    (2.75, "2", "12"),
    (3.0, "–", "11"),
    (3.25, "3", "10"),
    (3.5, "4", "–"),
    (3.75, "5", "9"),
    (4.0, "6", "8"),
    (4.5, "7", "7"),
    (5.0, "8", "6"),
    (5.5, "9", "5"),
    (6.0, "10", "4"),
    (6.5, "10½", "3"),
    (7.0, "–", "2"),
    (7.5, "–", "1"),
    (8.0, "11", "0"),
    (9.0, "13", "00"),
    (10.0, "15", "000"),
    (12.75, "17", "–"),
    (15.0, "19", "–"),
];

const METRIC_DOWELS: [f64; 11] = [3.0, 4.0, 5.0, 6.0, 8.0, 10.0, 12.0, 15.0, 18.0, 20.0, 25.0];
const INCH_DOWELS_16THS: [u32; 8] = [2, 3, 4, 5, 6, 8, 12, 16];

fn rod(name: String, diameter_mm: f64, length_mm: f64) -> Mandrel {
    Mandrel { name: Some(name), length_mm: Some(length_mm), ..Mandrel::round(diameter_mm) }
}

fn drills(steps: u32, per_mm: f64) -> Vec<Mandrel> {
    // A jobber drill's plain shank is about as long as 30 mm and five diameters.
    (0..=steps)
        .map(|step| 1.0 + f64::from(step) / per_mm)
        .map(|d| rod(text!("workshop-drill-shank").to_owned(), d, (55.0 + 5.0 * d).round()))
        .collect()
}

impl StartSet {
    /// The rods of the set, smallest first, with usual lengths that can be edited afterwards.
    ///
    /// ```
    /// use lorimant_core::tool::workshop::StartSet;
    ///
    /// let rods = StartSet::MetricHalves.rods();
    /// assert_eq!((rods.len(), rods[0].diameter_mm), (25, 1.0));
    /// ```
    pub fn rods(self) -> Vec<Mandrel> {
        match self {
            Self::MetricHalves => drills(24, 2.0),
            Self::MetricTenths => drills(120, 10.0),
            Self::FractionalDrills => (4..=32)
                .map(|n| f64::from(n) / 64.0 * MM_PER_INCH)
                .map(|d| rod(text!("workshop-drill-shank").to_owned(), d, (55.0 + 5.0 * d).round()))
                .collect(),
            Self::NumberedDrills => NUMBERED_INCH
                .iter()
                .enumerate()
                .rev()
                .map(|(i, inch)| (text!("workshop-number-drill", i = i + 1), inch * MM_PER_INCH))
                .map(|(name, d)| rod(name, d, (50.0 + 5.0 * d).round()))
                .collect(),
            Self::KnittingNeedles => NEEDLES
                .iter()
                .map(|(mm, us, uk)| rod(text!("workshop-needle-us-uk", us, uk), *mm, 200.0))
                .collect(),
            Self::Dowels => {
                let inch = INCH_DOWELS_16THS.iter().map(|n| f64::from(*n) / 16.0 * MM_PER_INCH);
                let mut sizes: Vec<f64> = METRIC_DOWELS.into_iter().chain(inch).collect();
                sizes.sort_by(f64::total_cmp);
                sizes.into_iter().map(|d| rod("dowel".to_owned(), d, 300.0)).collect()
            }
        }
    }
}

impl Workshop {
    /// Its methods for a plan that says itself how often its wire is pulled straight.
    #[must_use]
    pub fn methods_for(&self, pulls_n: u32) -> Methods {
        if pulls_n > 0 {
            Methods { straightening: Straightening::Pulls, pulls_n, ..self.methods }
        } else {
            Methods { straightening: Straightening::Fingers, ..self.methods }
        }
    }

    /// The workshop's own rod that a named size means, if it has one: the same outline and size, and
    /// the same name unless only a `rod` was spoken of.
    ///
    /// ```
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::tool::workshop::{StartSet, Workshop};
    ///
    /// let shop = Workshop { rods: StartSet::MetricHalves.rods(), ..Workshop::default() };
    /// assert!(shop.own(&Mandrel::round(5.0)).is_some());
    /// assert!(shop.own(&Mandrel::round(5.2)).is_none());
    /// ```
    pub fn own(&self, spoken: &Mandrel) -> Option<&Mandrel> {
        let same_size = |rod: &&Mandrel| {
            rod.shape == spoken.shape && (rod.diameter_mm - spoken.diameter_mm).abs() < 0.0006
        };
        let same_name = |rod: &&Mandrel| {
            let name = |m: &Mandrel| m.name.as_deref().unwrap_or("rod").to_lowercase();
            let (own, wanted) = (name(rod), name(spoken));
            wanted == "rod"
                || wanted == "mandrel"
                || own == wanted
                || own.split(' ').any(|word| word == wanted)
        };
        self.rods.iter().filter(same_size).find(same_name)
    }
}
