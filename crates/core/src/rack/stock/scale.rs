//! A scale's line of text, read; and what a weight says of a lot.

use serde::Serialize;

use super::{Lot, Movement, MovementKind, StockKind};
use crate::fault::{Fault, Span};
use crate::wire::SIZE_SPREAD;
use crate::words::length::{LengthUnit, shown};
use crate::words::mass;
use crate::words::scale::{of_wire, with_spread};

/// A grain, as scales name it; elsewhere `gr` is a gram.
const GRAIN: (&str, f64) = ("gr", 0.064_798_91);

/// Grams in the unit a scale names.
fn unit_g(word: &str) -> Option<f64> {
    if word == GRAIN.0 {
        return Some(GRAIN.1);
    }
    let mut rest = word;
    mass::unit(&mut rest).ok().filter(|_| rest.is_empty())
}

/// Reads a weight from a scale's line, or as it is typed: `182.31 g`, `+0.4021 kg`, `S 12,5g`, `6.4`.
/// A number without a unit is grams. Grams.
///
/// # Errors
/// A fault at `typed` where there is no number, more than one, a unit that is not known, or the scale
/// says that it is not at rest.
///
/// ```
/// use lorimant_core::rack::stock::scale::read;
///
/// assert_eq!(read("S 12,5g").unwrap(), 12.5);
/// assert!(read("12 apples").is_err());
/// ```
pub fn read(line: &str) -> Result<f64, Fault> {
    const MASS: Span = Span { noun: "weight", unit: " g", least: 0.0, most: 1_000_000.0 };
    let text = line.trim().to_lowercase();
    let said: String = text.chars().take(40).collect();
    let nothing =
        || Fault::new("typed", format!("“{said}” is no weight. A scale sends, or you type, 182.31 g."));
    if text.contains("unstable") || text.starts_with("us") || text.contains('?') {
        return Err(Fault::new(
            "typed",
            "The scale is not at rest. Wait until it is and take the reading again.",
        ));
    }
    // A sign may stand apart from its number, a comma for the point.
    let text = text.replace(',', ".").replace("+ ", "+").replace("- ", "-");
    let from = text.find(|c: char| c.is_ascii_digit()).ok_or_else(nothing)?;
    let to = text[from..].find(|c: char| !c.is_ascii_digit() && c != '.').map_or(text.len(), |n| from + n);
    let number: f64 = text[from..to].parse().map_err(|_| nothing())?;
    let (before, after) = (text[..from].trim_end(), text[to..].trim());
    if before.ends_with('-') {
        return Err(Fault::new(
            "typed",
            format!("“{said}” is less than nothing: set the scale to zero first."),
        ));
    }
    if after.contains(|c: char| c.is_ascii_digit()) {
        return Err(nothing());
    }
    let unit = after.split_whitespace().next().unwrap_or("g");
    let Some(grams) = unit_g(unit) else {
        let unit: String = unit.chars().take(12).collect();
        return Err(Fault::new(
            "typed",
            format!("“{unit}” is no unit of weight known here. Known: g, kg, mg, oz, ozt, dwt, gr, ct, lb."),
        ));
    };
    MASS.check("typed", number * grams)
}

/// What a weight says of a lot.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Weighed {
    /// On the scale, spool and wire, g.
    pub gross_g: f64,
    /// The wire alone, g.
    pub wire_g: f64,
    /// Its length, mm.
    pub length_mm: f64,
    /// One standard deviation of it, mm: the wire's size is known to 1 %, so its area to 2 %.
    pub spread_mm: f64,
    /// By how much that differs from what the ledger says, mm.
    pub differs_mm: f64,
    /// The same in a sentence.
    pub sentence: String,
}

impl Weighed {
    /// The line that brings the ledger to what was weighed; none where they agree to the micrometre.
    pub fn correction(&self) -> Option<Movement> {
        let note = format!("weighed: {} g", shown(self.gross_g, 2));
        let line = Movement { kind: MovementKind::Corrected, length_mm: self.differs_mm, note };
        Some(line).filter(|line| line.length_mm.abs() >= super::booking::LEAST_MM)
    }
}

impl Lot {
    /// The length that a weight says is left: (weight − empty spool) / weight of a millimetre. What the empty spool
    /// weighs is the lot's, or `tare_g` where the lot does not say; a rest or straight length has none.
    ///
    /// ```
    /// use lorimant_core::words::length::LengthUnit;
    /// use lorimant_core::rack::stock::Lot;
    ///
    /// let lot: Lot = serde_json::from_str(
    ///     r#"{"name": "Blue spool", "wire": {"metal": "copper", "size_mm": 1.0}, "price": "9.40", "bought_mm": 20000, "tare_g": 62}"#,
    /// ).unwrap();
    /// // With its spool it weighs 62 g more than its wire.
    /// let weighed = lot.weighed(62.0 + lot.wire.mass_g(4000.0), None, 4100.0, LengthUnit::Mm).unwrap();
    /// assert!((weighed.differs_mm + 100.0).abs() < 0.1);
    /// ```
    ///
    /// # Errors
    /// A fault at `typed` where it weighs less than its empty spool; at `tare_g` where nobody says what that weighs,
    /// since all of it would be taken for wire.
    pub fn weighed(
        &self,
        gross_g: f64,
        tare_g: Option<f64>,
        ledger_mm: f64,
        unit: LengthUnit,
    ) -> Result<Weighed, Fault> {
        let spoolless = (self.kind != StockKind::Spool).then_some(0.0);
        let tare = self.tare_g.or(tare_g).or(spoolless).ok_or_else(|| {
            let said = "What does the empty spool weigh? Type it in grams, or 0 where the wire lies on the scale \
                        without it.";
            Fault::new("tare_g", said)
        })?;
        let tare = Self::TARE.check("tare_g", tare)?;
        let wire_g = gross_g - tare;
        if wire_g < 0.0 {
            let said = format!(
                "{} g is less than the empty spool, {} g. Is it the right spool, or is its tare wrong?",
                shown(gross_g, 2),
                shown(tare, 2)
            );
            return Err(Fault::new("typed", said).limit(tare));
        }
        let length_mm = self.wire.length_of_mm(wire_g);
        let spread_mm = 2.0 * SIZE_SPREAD * length_mm;
        let differs_mm = length_mm - ledger_mm;
        let off = if differs_mm.abs() <= 2.0 * spread_mm {
            "as near as a scale can tell to what the ledger says".to_owned()
        } else {
            format!(
                "{} {} than the ledger says",
                of_wire(differs_mm.abs(), unit),
                if differs_mm > 0.0 { "more" } else { "less" }
            )
        };
        let less =
            if tare > 0.0 { format!(" less {} g for the spool", shown(tare, 2)) } else { String::new() };
        let sentence =
            format!("{} g{less} is {}, {off}.", shown(gross_g, 2), with_spread(length_mm, spread_mm, unit));
        Ok(Weighed { gross_g, wire_g, length_mm, spread_mm, differs_mm, sentence })
    }
}
