//! What a maker wished for, beside what the rods and the wire give.

use serde::{Deserialize, Serialize};

use super::supply::Supply;
use super::{RingPlan, RingRequest};
use crate::fault::{Faults, Span};
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::words::length::{LengthUnit, caliper};
use crate::words::scale::of_wire;
use lorimant_text::{Text, text};

/// What was wished for and a plan can only come near to: it stays with the plan, so that it is seen what was meant.
#[derive(Debug, Clone, Copy, PartialEq, Default, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Wish {
    /// Inside of the ring wanted, mm; the rod was chosen for it.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub inside_mm: Option<f64>,
    /// Wire there is; the count is what it gives.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub supply: Option<Supply>,
}

impl Wish {
    const INSIDE: Span =
        Span { noun: Text::named("wish-inside-wanted"), unit: " mm", least: 0.1, most: 1000.0 };

    /// Checks what was wished for: it may come from a file as well as from a bench.
    pub(super) fn check(&self, wire: &Wire, faults: &mut Faults) {
        if let Some(inside) = self.inside_mm {
            faults.keep(Self::INSIDE.check("wish.inside_mm", inside));
        }
        // What the wire weighs can be told of a sound wire only.
        if let Some(supply) = self.supply.filter(|_| wire.check().is_ok()) {
            faults.nest("wish.supply", supply.length_mm(wire));
        }
    }

    /// Whether nothing was wished for.
    pub fn is_empty(&self) -> bool {
        *self == Self::default()
    }
}

impl RingRequest {
    /// With as many rings as the wire wished for gives, where it gives any: whatever else of the plan was changed.
    #[must_use]
    pub(super) fn recounted(self, workshop: &Workshop) -> Self {
        let many = self.wish.supply.and_then(|supply| supply.makes(&self, workshop).ok());
        match many.map(|many| many.rings_n) {
            Some(rings_n @ 1..) => Self { rings_n, ..self },
            _ => self,
        }
    }

    /// What was wished for beside what is given, in a sentence; nothing where nothing was.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::ring::sentence::Slot;
    /// use lorimant_core::tool::{mandrel::Mandrel, workshop::Workshop};
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::words::length::LengthUnit;
    /// use lorimant_core::words::sentence::Change;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let shop = Workshop { rods: vec![Mandrel::round(4.5)], ..Workshop::default() };
    /// let request = RingRequest::new(wire, Mandrel::round(5.0), 100);
    /// let given = request.changed(Slot::Inside, &Change::Typed("4.4 mm".into()), &shop).unwrap();
    /// let plan = given.plan().unwrap();
    /// assert!(given.wished(&plan, LengthUnit::Mm).unwrap().starts_with("4.4 mm inside is wanted, "));
    /// ```
    pub fn wished(&self, plan: &RingPlan, unit: LengthUnit) -> Option<String> {
        let inside = self.wish.inside_mm.map(|wanted| {
            let given = plan.ring_inside_diameter_mm;
            text!("wish-inside-wanted-given", wanted = caliper(wanted, unit), given = caliper(given, unit))
        });
        let supply = self.wish.supply.map(|supply| match (supply.wire_length_mm, supply.wire_mass_g) {
            (Some(mm), _) => text!("wish-as-many-as-wire-gives", mm = of_wire(mm, unit)),
            (_, grams) => text!("wish-as-many-as-g-wire", grams = grams.unwrap_or_default()),
        });
        let parts: Vec<String> = inside.into_iter().chain(supply).collect();
        let parts = (!parts.is_empty()).then(|| parts.join("; "))?;
        Some(format!("{}.", crate::words::capital(&parts)))
    }
}
