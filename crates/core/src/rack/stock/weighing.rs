//! What a weight says of a lot.

use serde::Serialize;

use super::{Lot, Movement, MovementKind, StockKind};
use crate::fault::Fault;
use crate::wire::SIZE_SPREAD;
use crate::words::length::{LengthUnit, shown};
use crate::words::scale::{of_wire, with_spread};
use lorimant_text::text;

/// The share of what should be left that is hardly less by cuts nobody booked.
const FORGOTTEN: f64 = 0.5;

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
    pub text: String,
    /// Why it is hardly so, and is not booked before somebody says that it is: there was never so much of the lot, or twice as
    /// much should be left.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub doubt: Option<String>,
}

/// What the ledger says of a lot.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Held {
    /// What is left of it, mm.
    pub left_mm: f64,
    /// The most there ever was of it, mm.
    pub most_mm: f64,
}

impl Weighed {
    /// The line that brings the ledger to what was weighed; none where they agree to the micrometre.
    pub fn correction(&self) -> Option<Movement> {
        let note = text!("weighing-weighed-g", gross_g = shown(self.gross_g, 2));
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
    /// use lorimant_core::rack::stock::weighing::Held;
    ///
    /// let lot: Lot = serde_json::from_str(
    ///     r#"{"name": "Blue spool", "wire": {"metal": "copper", "size_mm": 1.0}, "price": "9.40", "bought_mm": 20000, "tare_g": 62}"#,
    /// ).unwrap();
    /// // With its spool it weighs 62 g more than its wire.
    /// let held = Held { left_mm: 4100.0, most_mm: 20_000.0 };
    /// let weighed = lot.weighed(62.0 + lot.wire.mass_g(4000.0), None, held, LengthUnit::Mm).unwrap();
    /// assert!((weighed.differs_mm + 100.0).abs() < 0.1);
    /// // There was never a kilometre on it.
    /// let heavy = lot.weighed(lot.wire.mass_g(1e6), None, held, LengthUnit::Mm).unwrap();
    /// assert!(heavy.doubt.unwrap().contains("more than this lot ever had"));
    /// // Another, nearly empty spool was laid on.
    /// let light = lot.weighed(62.0 + lot.wire.mass_g(900.0), None, held, LengthUnit::Mm).unwrap();
    /// assert!(light.doubt.unwrap().contains("less than half of what should be left"));
    /// ```
    ///
    /// # Errors
    /// A fault at `typed` where it weighs less than its empty spool; at `tare_g` where nobody says what that weighs,
    /// since all of it would be taken for wire.
    pub fn weighed(
        &self,
        gross_g: f64,
        tare_g: Option<f64>,
        held: Held,
        unit: LengthUnit,
    ) -> Result<Weighed, Fault> {
        let spoolless = (self.kind != StockKind::Spool).then_some(0.0);
        let tare = self.tare_g.or(tare_g).or(spoolless).ok_or_else(|| {
            let message = text!("weighing-what-does-empty-spool-weigh");
            Fault::new("tare_g", message)
        })?;
        let tare = Self::TARE.check("tare_g", tare)?;
        let wire_g = gross_g - tare;
        if wire_g < 0.0 {
            let message =
                text!("weighing-g-less-than-empty-spool", gross_g = shown(gross_g, 2), tare = shown(tare, 2));
            return Err(Fault::new("typed", message).limit(tare));
        }
        let length_mm = self.wire.length_of_mm(wire_g);
        let spread_mm = 2.0 * SIZE_SPREAD * length_mm;
        let differs_mm = length_mm - held.left_mm;
        let off = if differs_mm.abs() <= 2.0 * spread_mm {
            text!("weighing-same-as-in-stock-as").to_owned()
        } else {
            text!(
                "weighing-than-in-stock",
                differs_mm = of_wire(differs_mm.abs(), unit),
                more = differs_mm > 0.0
            )
        };
        let less = if tare > 0.0 {
            text!("weighing-less-g-for-spool", tare = shown(tare, 2))
        } else {
            String::new()
        };
        let text = text!(
            "weighing-g",
            gross_g = shown(gross_g, 2),
            less,
            length_mm = with_spread(length_mm, spread_mm, unit),
            off
        );
        let asked = text!("weighing-right-spool-g-right", gross_g = shown(gross_g, 2));
        let doubt = if length_mm - 2.0 * spread_mm > held.most_mm {
            Some(text!("weighing-that-more-than-this-lot", most_mm = of_wire(held.most_mm, unit), asked))
        } else if length_mm + 2.0 * spread_mm < FORGOTTEN * held.left_mm {
            let left = of_wire(held.left_mm, unit);
            Some(text!("weighing-that-less-than-half-what", left, asked))
        } else {
            None
        };
        Ok(Weighed { gross_g, wire_g, length_mm, spread_mm, differs_mm, text, doubt })
    }
}
