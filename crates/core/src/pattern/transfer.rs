//! A pattern carried over to another wire: practise in copper, then cut silver.

use serde::Serialize;

use super::{PatternRequest, Unit};
use crate::fault::Faults;
use crate::wire::Wire;
use crate::wire::strength;
use crate::wire::strength::load_told;
use crate::words::length::{LengthUnit, on_ruler, shown};

/// A pattern in another wire, and what is different about it.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Transferred {
    /// The request in the other wire: its dimensions grown or shrunk with the wire's thickness.
    pub request: PatternRequest,
    /// What changes, in sentences.
    pub differences: Vec<String>,
}

impl PatternRequest {
    /// The same piece in another wire with its proportions kept: every length times the ratio of the
    /// thicknesses. The blank is worked out anew, not scaled.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let twice = Wire { size_mm: 2.0 * hook.wire.size_mm, ..hook.wire.clone() };
    /// let transferred = hook.transferred(&twice, LengthUnit::Mm).unwrap();
    /// assert!((transferred.request.value("eye_mm") - 2.0 * hook.value("eye_mm")).abs() < 1e-6);
    /// ```
    ///
    /// # Errors
    /// Faults of either piece; where a scaled dimension passes its limit, at that parameter.
    pub fn transferred(&self, wire: &Wire, unit: LengthUnit) -> Result<Transferred, Faults> {
        wire.check().map_err(|fault| fault.within("wire"))?;
        let before = self.form()?;
        let ratio = wire.profile().thickness_mm() / self.wire.profile().thickness_mm();
        // Bends differ from the drawing in proportion to the wire.
        let allowance_mm = (self.allowance_mm * ratio * 100.0).round() / 100.0;
        let mut request = Self { wire: wire.clone(), allowance_mm, ..self.clone() };
        for parameter in self.kind.0.parameters.iter().filter(|parameter| parameter.unit == Unit::Mm) {
            let scaled = self.value(parameter.name) * ratio;
            request.parameters.insert(parameter.name.to_owned(), (scaled * 1e6).round() / 1e6);
        }
        let after = request.form()?;
        let mut differences = vec![];
        if (ratio - 1.0).abs() > 1e-9 {
            differences.push(format!(
                "Every dimension is {} times what it was: the wire is that much thicker.",
                shown(ratio, 3)
            ));
        } else {
            differences.push("The dimensions stay: the wire is as thick.".to_owned());
        }
        if request.allowance_mm != 0.0 {
            differences.push(format!(
                "What trials have shown goes along: its blank is {} {} than its parts.",
                on_ruler(request.allowance_mm.abs(), unit),
                if request.allowance_mm > 0.0 { "longer" } else { "shorter" }
            ));
        }
        let (old, new) = (before.blank(unit), after.blank(unit));
        differences.push(format!(
            "Each blank is {} instead of {}.",
            on_ruler(new.cut_mm, unit),
            on_ruler(old.cut_mm, unit)
        ));
        let (light, heavy) = (self.wire.mass_g(old.developed_mm), wire.mass_g(new.developed_mm));
        differences.push(format!("One piece weighs {} g instead of {}.", shown(heavy, 2), shown(light, 2)));
        let tightest = |formed: &super::form::Formed| {
            (0..formed.design.segments.len()).map(|i| formed.strain_used(i)).fold(0.0, f64::max)
        };
        differences.push(format!(
            "The tightest place uses {} % of the stretch the metal has left, instead of {} %.",
            shown(100.0 * tightest(&after), 0),
            shown(100.0 * tightest(&before), 0)
        ));
        let angle = |formed: &super::form::Formed, radius: f64| {
            formed.bending.wound_radius(radius).map_or(1.0, |wound| radius / wound)
        };
        let wide = |formed: &super::form::Formed| {
            (0..formed.design.segments.len()).filter_map(|i| formed.radius_mm(i)).fold(0.0, f64::max)
        };
        if wide(&before) > 0.0 {
            let (a, b) = (180.0 * angle(&before, wide(&before)), 180.0 * angle(&after, wide(&after)));
            differences.push(format!(
                "A half turn of the widest bend goes to {}° instead of {}°.",
                shown(b, 0),
                shown(a, 0)
            ));
        }
        if let (Some((_, a)), Some((_, b))) = (before.weakest(0.0), after.weakest(0.0)) {
            differences.push(format!("It gives at about {} instead of {}.", load_told(b), load_told(a)));
        }
        let (a, b) = (strength::hand_effort(&self.wire), strength::hand_effort(wire));
        differences.push(format!("A bend takes {} times the effort.", shown(b / a, 2)));
        Ok(Transferred { request, differences })
    }
}
