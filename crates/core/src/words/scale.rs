//! The units that lengths of wire are read in on the rack.

use serde::Serialize;

use super::gauge::MM_PER_INCH;
use super::length::{LengthUnit, shown};
use lorimant_text::text;

/// A unit that lengths of wire are read in on the rack, and from which length on.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Scale {
    /// The unit.
    pub unit: &'static str,
    /// One of it, mm.
    pub one_mm: f64,
    /// The least length read in it, mm.
    pub from_mm: f64,
    /// Decimals that are worth reading.
    pub places_n: usize,
}

/// The units lengths of wire are read in, the smallest first: mm up to a metre, then metres; inches
/// up to a foot, then feet.
pub fn scales(unit: LengthUnit) -> &'static [Scale] {
    const FOOT: f64 = 12.0 * MM_PER_INCH;
    match unit {
        LengthUnit::Mm => &[
            Scale { unit: "mm", one_mm: 1.0, from_mm: 0.0, places_n: 1 },
            Scale { unit: "m", one_mm: 1000.0, from_mm: 1000.0, places_n: 2 },
        ],
        LengthUnit::Inch => &[
            Scale { unit: "in", one_mm: MM_PER_INCH, from_mm: 0.0, places_n: 2 },
            Scale { unit: "ft", one_mm: FOOT, from_mm: FOOT, places_n: 2 },
            Scale { unit: "ft", one_mm: FOOT, from_mm: 100.0 * FOOT, places_n: 1 },
        ],
    }
}

/// The unit sizes are read in with a caliper, and how finely.
pub fn caliper_scale(unit: LengthUnit) -> Scale {
    match unit {
        LengthUnit::Mm => Scale { unit: "mm", one_mm: 1.0, from_mm: 0.0, places_n: 2 },
        LengthUnit::Inch => Scale { unit: "in", one_mm: MM_PER_INCH, from_mm: 0.0, places_n: 3 },
    }
}

/// What a caliper shows, to its last figure: `5.08 mm`, `0.200 in`.
///
/// ```
/// use lorimant_core::words::length::LengthUnit;
/// use lorimant_core::words::scale::caliper_reading;
///
/// assert_eq!(caliper_reading(11.31, LengthUnit::Mm), "11.31 mm");
/// assert_eq!(caliper_reading(5.08, LengthUnit::Inch), "0.200 in");
/// ```
#[must_use]
pub fn caliper_reading(mm: f64, unit: LengthUnit) -> String {
    let Scale { unit, one_mm, places_n, .. } = caliper_scale(unit);
    format!("{:.places_n$} {unit}", mm / one_mm)
}

/// The length that wire is priced by: its unit, and one of it, mm.
///
/// ```
/// use lorimant_core::words::length::LengthUnit;
/// use lorimant_core::words::scale::sold_by;
///
/// assert_eq!(sold_by(LengthUnit::Mm), ("m", 1000.0));
/// assert_eq!(sold_by(LengthUnit::Inch).0, "ft");
/// ```
pub fn sold_by(unit: LengthUnit) -> (&'static str, f64) {
    match unit {
        LengthUnit::Mm => ("m", 1000.0),
        LengthUnit::Inch => ("ft", 12.0 * MM_PER_INCH),
    }
}

/// The word for that length: `metre`, `foot`.
pub fn sold_by_word(unit: LengthUnit) -> &'static str {
    match unit {
        LengthUnit::Mm => text!("scale-metre"),
        LengthUnit::Inch => text!("scale-foot"),
    }
}

/// A length of wire with how far off it may be, both in the unit the length is read in: `5.78 ± 0.12 m`.
///
/// ```
/// use lorimant_core::words::length::LengthUnit;
/// use lorimant_core::words::scale::with_spread;
///
/// assert_eq!(with_spread(5780.0, 115.7, LengthUnit::Mm), "5.78 ± 0.12 m");
/// ```
pub fn with_spread(mm: f64, spread_mm: f64, unit: LengthUnit) -> String {
    let scales = scales(unit);
    let scale = scales.iter().rfind(|scale| mm.abs() >= scale.from_mm).unwrap_or(&scales[0]);
    let read = |mm: f64| shown(mm / scale.one_mm, scale.places_n);
    format!("{} ± {} {}", read(mm), read(spread_mm), scale.unit)
}

/// A length of wire as it is reckoned with on the rack: `350 mm`, `2.35 m`, `7.71 ft`.
///
/// ```
/// use lorimant_core::words::length::LengthUnit;
/// use lorimant_core::words::scale::of_wire;
///
/// assert_eq!(of_wire(350.0, LengthUnit::Mm), "350 mm");
/// assert_eq!(of_wire(2350.0, LengthUnit::Mm), "2.35 m");
/// assert_eq!(of_wire(3048.0, LengthUnit::Inch), "10 ft");
/// ```
pub fn of_wire(mm: f64, unit: LengthUnit) -> String {
    let scales = scales(unit);
    let scale = scales.iter().rfind(|scale| mm.abs() >= scale.from_mm).unwrap_or(&scales[0]);
    format!("{} {}", shown(mm / scale.one_mm, scale.places_n), scale.unit)
}
