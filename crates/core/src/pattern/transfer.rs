//! A pattern carried over to another wire: practise in copper, then cut silver.

use serde::Serialize;

use super::finished::FinishedFinding;
use super::{PatternRequest, Unit};
use crate::fault::Faults;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::strength::load_told;
use crate::words::length::{LengthUnit, on_ruler, shown};
use lorimant_text::text;

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
    /// The request in another wire: every length times the ratio of the thicknesses.
    ///
    /// # Errors
    /// Faults of the wire, at `wire`; where a scaled dimension passes its limit, at that parameter.
    pub fn carried_to(&self, wire: &Wire) -> Result<Self, Faults> {
        wire.check().map_err(|fault| fault.within("wire"))?;
        let ratio = wire.profile().thickness_mm() / self.wire.profile().thickness_mm();
        // Bends differ from the drawing in proportion to the wire.
        let allowance_mm = (self.allowance_mm * ratio * 100.0).round() / 100.0;
        let mut request = Self { wire: wire.clone(), allowance_mm, ..self.clone() };
        for parameter in self.kind.0.parameters.iter().filter(|parameter| parameter.unit == Unit::Mm) {
            let scaled = self.value(parameter.name) * ratio;
            request.parameters.insert(parameter.name.to_owned(), (scaled * 1e6).round() / 1e6);
        }
        request.form()?;
        Ok(request)
    }

    /// The same piece in another wire with its proportions kept: every length times the ratio of the
    /// thicknesses. The blank is worked out anew, not scaled.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let twice = Wire { size_mm: 2.0 * hook.wire.size_mm, ..hook.wire.clone() };
    /// let transferred = hook.transferred(&twice, &Workshop::default()).unwrap();
    /// assert!((transferred.request.value("eye_mm") - 2.0 * hook.value("eye_mm")).abs() < 1e-6);
    /// ```
    ///
    /// # Errors
    /// Faults of either piece; where a scaled dimension passes its limit, at that parameter.
    pub fn transferred(&self, wire: &Wire, workshop: &Workshop) -> Result<Transferred, Faults> {
        self.form()?;
        let unit = workshop.habits.unit;
        let request = self.carried_to(wire)?;
        let ratio = wire.profile().thickness_mm() / self.wire.profile().thickness_mm();
        let mut differences = vec![];
        if (ratio - 1.0).abs() > 1e-9 {
            differences.push(text!("transfer-every-dimension-times-what-was", ratio = shown(ratio, 3)));
        } else {
            differences.push(text!("transfer-dimensions-stay-wire-same-thickness").to_owned());
        }
        if request.allowance_mm != 0.0 {
            differences.push(text!(
                "transfer-what-your-trials-showed-kept",
                allowance_mm = on_ruler(request.allowance_mm.abs(), unit),
                longer = request.allowance_mm > 0.0
            ));
        }
        // Where this workshop can make both, what is different about making them.
        match (self.finished(workshop), request.finished(workshop)) {
            (Ok(old), Ok(new)) => differences.extend(in_the_making(&old, &new, unit)),
            (_, Err(faults)) => differences.extend(faults.0.first().map(|fault| fault.message.clone())),
            (Err(_), Ok(_)) => {}
        }
        Ok(Transferred { request, differences })
    }
}

fn in_the_making(old: &FinishedFinding, new: &FinishedFinding, unit: LengthUnit) -> Vec<String> {
    let cut = |piece: &FinishedFinding| on_ruler(piece.blank.flush_mm, unit);
    let weight =
        |piece: &FinishedFinding| shown(piece.formed.request.wire.mass_g(piece.blank.developed_mm), 2);
    let used = |piece: &FinishedFinding| shown(100.0 * piece.tightest().map_or(0.0, |(_, share)| share), 0);
    let mut differences = vec![
        text!("transfer-cut-each-instead", new = cut(new), old = cut(old)),
        text!("transfer-one-piece-weighs-g-instead", new = weight(new), old = weight(old)),
        text!("transfer-tightest-bend-uses-stretch-metal", new = used(new), old = used(old)),
    ];
    if let (Some(a), Some(b)) = (old.holds(), new.holds()) {
        let (a, b) = (load_told(a.pulls_open_n), load_told(b.pulls_open_n));
        differences.push(text!("transfer-pulls-open-at-about-instead", b, a));
    }
    differences.push(text!("transfer-bend-takes-times-effort", new = shown(new.effort() / old.effort(), 2)));
    differences
}
