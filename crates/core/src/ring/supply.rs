//! How many rings a given length or mass of wire makes.

use serde::{Deserialize, Serialize};

use super::{MOST_RINGS, RingRequest};
use crate::fault::{Fault, Faults, Span};
use crate::reading::field::{self, Amount};
use crate::tool::coil::Coil;
use crate::tool::workshop::Workshop;
use crate::words::length::{Habits, on_ruler, pull};
use crate::words::scale::of_wire;
use lorimant_text::{Text, text};

/// What there is of a wire: a length or a mass, not both.
#[derive(Debug, Clone, Copy, PartialEq, Default, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Supply {
    /// Length of wire, mm.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub wire_length_mm: Option<f64>,
    /// Mass of wire, grams.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub wire_mass_g: Option<f64>,
}

/// How many rings a supply makes.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct HowMany {
    /// Rings it makes.
    pub rings_n: u32,
    /// The length there is, mm.
    pub wire_length_mm: f64,
    /// What those rings use of it, tails and losses included, mm.
    pub used_mm: f64,
    /// What is left over, mm.
    pub left_mm: f64,
    /// The answer as a sentence.
    pub text: String,
}

impl Supply {
    const LENGTH: Span = Span { noun: Text::named("supply-length-wire"), unit: " mm", least: 1.0, most: 1e8 };
    const MASS: Span = Span { noun: Text::named("supply-mass-wire"), unit: " g", least: 0.001, most: 1e7 };

    /// Reads a supply as people say it: `3 m`, `10 ft`, `50 g`, `2 oz`.
    ///
    /// ```
    /// use lorimant_core::ring::supply::Supply;
    /// use lorimant_core::words::length::Habits;
    ///
    /// assert_eq!(Supply::read("3 m", Habits::default()).unwrap().wire_length_mm, Some(3000.0));
    /// assert_eq!(Supply::read("50 g", Habits::default()).unwrap().wire_mass_g, Some(50.0));
    /// ```
    ///
    /// # Errors
    /// A fault at `typed` when it is neither a length nor a mass, or may be two numbers.
    pub fn read(text: &str, habits: Habits) -> Result<Self, Fault> {
        match field::amount(text, habits).map_err(|message| Fault::new("typed", message))? {
            Amount::Mass(grams) => Ok(Self { wire_length_mm: None, wire_mass_g: Some(grams) }),
            Amount::Length(mm) => Ok(Self { wire_length_mm: Some(mm), wire_mass_g: None }),
        }
    }

    /// Its length in mm, as this wire.
    ///
    /// # Errors
    /// A fault when neither or both are given, or the one given is out of its limits.
    pub fn length_mm(&self, wire: &crate::wire::Wire) -> Result<f64, Fault> {
        match (self.wire_length_mm, self.wire_mass_g) {
            (Some(length), None) => Self::LENGTH.check("wire_length_mm", length),
            (None, Some(mass)) => Self::MASS.check("wire_mass_g", mass).map(|g| wire.length_of_mm(g)),
            (None, None) => {
                let message = text!("supply-enter-wires-length-in-mm");
                Err(Fault::new("wire_length_mm", message))
            }
            (Some(_), Some(_)) => {
                let message = text!("supply-enter-wires-length-or-its");
                Err(Fault::new("wire_mass_g", message))
            }
        }
    }

    /// How many rings of the request this supply makes; the request's own count is not read.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::ring::supply::Supply;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let request = RingRequest::new(wire, Mandrel::round(5.0), 1);
    /// let metre = Supply { wire_length_mm: Some(1000.0), wire_mass_g: None };
    /// let many = metre.makes(&request, &Workshop::default()).unwrap();
    /// assert!((many.used_mm + many.left_mm - 1000.0).abs() < 1e-9);
    /// // One ring more would not come out of it.
    /// let more = RingRequest { rings_n: many.rings_n + 1, ..request };
    /// assert!(more.plan().unwrap().wire_length_mm > 1000.0);
    /// ```
    ///
    /// # Errors
    /// Faults of the request as in [`RingRequest::plan`], or of the supply.
    pub fn makes(&self, request: &RingRequest, workshop: &Workshop) -> Result<HowMany, Faults> {
        let one = RingRequest { rings_n: 1, ..request.clone() };
        let least_mm = one.plan_in(workshop)?.wire_length_mm;
        let there = self.length_mm(&request.wire)?;
        let wire_mm = |rings_n: u32| {
            RingRequest { rings_n, ..request.clone() }.plan_in(workshop).map(|plan| plan.wire_length_mm)
        };
        // Coils are wound alike: full ones, or one more of fewer rings each.
        let coil = Coil::wind_at(&request.wire, &request.mandrel, &request.bending())?;
        let layout = request.layout(&coil, request.cutting.taken(request.wire.size_mm))?;
        let most = layout.rings_per_coil;
        let full_mm = wire_mm(most)?;
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "clamped to the limit")]
        let full_coils = (there / full_mm + 1e-9).floor().min(f64::from(MOST_RINGS / most.max(1))) as u32;
        let more_coils = full_coils + 1;
        let fits = |each_n: u32| Ok::<_, Faults>(wire_mm(each_n)? * f64::from(more_coils) <= there + 1e-6);
        let (mut enough, mut too_many) = (0, most);
        while too_many - enough > 1 {
            let each_n = u32::midpoint(enough, too_many);
            if fits(each_n)? { enough = each_n } else { too_many = each_n }
        }
        let rings_n = full_coils.saturating_mul(most).max(more_coils.saturating_mul(enough)).min(MOST_RINGS);
        let used_mm = if rings_n == 0 { 0.0 } else { wire_mm(rings_n)? };
        let unit = workshop.habits.unit;
        let left_mm = (there - used_mm).max(0.0);
        let text = match rings_n {
            0 => text!(
                "supply-not-enough-for-one-ring",
                there = of_wire(there, unit),
                least_mm = pull(least_mm, unit)
            ),
            n => text!(
                "supply-makes-leaves",
                there = of_wire(there, unit),
                n = text!("count-ring", n),
                left_mm = on_ruler(left_mm, unit)
            ),
        };
        Ok(HowMany { rings_n, wire_length_mm: there, used_mm, left_mm, text })
    }
}
