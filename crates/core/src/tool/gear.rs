//! What else stands on the bench: the cutter and the largest wire it takes, the barrel, the torch, what is struck with, a
//! taper.

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span};
use crate::wire::Wire;
use crate::wire::bending::FlowCurve;
use crate::wire::metal::Temper;
use lorimant_text::{Text, text};

/// The workshop's gear; what is left out is as on a usual bench.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Gear {
    /// Thickest soft wire the cutter takes, mm, 0.2 to 6; 2.1 if left out.
    pub cutter_mm: f64,
    /// Thickest hard wire it takes, mm; 1.3 if left out.
    pub cutter_hard_mm: f64,
    /// Weight of pieces one load of the barrel takes, g, 1 to 20000; 200 if left out.
    pub barrel_g: f64,
    /// Whether there is a torch.
    pub torch: bool,
    /// Whether there is a guide block to saw heavy wire square in.
    pub guide_block: bool,
    /// Whether there is a steel hammer with a polished block: what flattens and textures.
    pub hammer_and_block: bool,
    /// Whether there is a mallet of plastic or rawhide: what stiffens and keeps the wire round.
    pub mallet: bool,
    /// A taper that cones are wound on, by two measured places.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub taper: Option<Taper>,
}

/// A tapered rod, measured in two places.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Taper {
    /// Diameter at its narrow end, mm, 0.3 to 60.
    pub narrow_mm: f64,
    /// Diameter at its wide end, mm.
    pub wide_mm: f64,
    /// How far apart the two are, mm, 5 to 600.
    pub length_mm: f64,
}

impl Default for Gear {
    fn default() -> Self {
        Self {
            cutter_mm: 2.1,
            cutter_hard_mm: 1.3,
            barrel_g: 200.0,
            torch: true,
            guide_block: false,
            hammer_and_block: true,
            mallet: true,
            taper: None,
        }
    }
}

/// Flow stress of the hardest wire a jeweller's cutter is rated with, MPa: hard brass and bronze. An estimate.
const CUTTER_MPA: f64 = 600.0;

impl Gear {
    const CUTTER: Span =
        Span { noun: Text::named("gear-wire-that-cutter-takes"), unit: " mm", least: 0.2, most: 6.0 };
    const BARREL: Span =
        Span { noun: Text::named("gear-load-tumbler"), unit: " g", least: 1.0, most: 20_000.0 };

    /// Checks its numbers.
    ///
    /// # Errors
    /// A fault for each that is out of its limits, and for a taper that does not widen.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.keep(Self::CUTTER.check("cutter_mm", self.cutter_mm));
        faults.keep(Self::CUTTER.check("cutter_hard_mm", self.cutter_hard_mm));
        if self.cutter_hard_mm > self.cutter_mm {
            let message = text!("gear-cutter-cant-take-thicker-hard");
            faults.add(Fault::new("cutter_hard_mm", message).limit(self.cutter_mm));
        }
        faults.keep(Self::BARREL.check("barrel_g", self.barrel_g));
        if let Some(taper) = &self.taper {
            faults.nest("taper", taper.check());
        }
        faults.into_result()
    }

    /// Thickest wire the cutter takes as hard as this one is, where this one is thicker, mm.
    ///
    /// ```
    /// use lorimant_core::tool::gear::Gear;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let gear = Gear::default();
    /// assert_eq!(gear.too_thick(&Wire::round(Metal::Copper, 1.6, Temper::Soft)), None);
    /// // The same wire hard is too much for it.
    /// assert_eq!(gear.too_thick(&Wire::round(Metal::Copper, 1.6, Temper::Hard)), Some(1.3));
    /// ```
    #[must_use]
    pub fn too_thick(&self, wire: &Wire) -> Option<f64> {
        let hard = wire.temper.strain() >= Temper::HalfHard.strain();
        let most = if hard { self.cutter_hard_mm } else { self.cutter_mm };
        // A cutter is made for silver and copper alloys: what flows at more, steel above all, it takes thinner, by d².
        let flow_mpa = FlowCurve::new(wire.metal.figures(), wire.temper.strain()).flow_stress(0.0);
        let most = most * (CUTTER_MPA / flow_mpa).sqrt().min(1.0);
        (wire.profile().thickness_mm() > most).then_some(most)
    }

    /// How wire is cut that the cutter does not take; none where it does.
    #[must_use]
    pub fn sawn(&self, wire: &Wire) -> Option<&'static str> {
        self.too_thick(wire)?;
        Some(if self.guide_block {
            text!("gear-saw-square-in-guide-block")
        } else {
            text!("gear-saw-square-file-flush")
        })
    }

    /// Loads of the barrel that so much metal is, g.
    ///
    /// ```
    /// use lorimant_core::tool::gear::Gear;
    ///
    /// assert_eq!((Gear::default().loads(10.0), Gear::default().loads(401.0)), (1.0, 3.0));
    /// ```
    #[must_use]
    pub fn loads(&self, mass_g: f64) -> f64 {
        (mass_g / self.barrel_g).ceil().max(1.0)
    }

    /// Whether there is a torch to heat with.
    ///
    /// # Errors
    /// A sentence where there is none.
    pub fn heats(&self) -> Result<(), String> {
        let none = text!("gear-no-torch-listed-under-tools");
        if self.torch { Ok(()) } else { Err(none.to_owned()) }
    }
}

impl Taper {
    const ACROSS: Span = Span { noun: Text::named("gear-taper"), unit: " mm", least: 0.3, most: 60.0 };
    const LENGTH: Span =
        Span { noun: Text::named("gear-tapers-length"), unit: " mm", least: 5.0, most: 600.0 };

    fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.keep(Self::ACROSS.check("narrow_mm", self.narrow_mm));
        faults.keep(Self::ACROSS.check("wide_mm", self.wide_mm));
        faults.keep(Self::LENGTH.check("length_mm", self.length_mm));
        if self.wide_mm <= self.narrow_mm {
            let message = text!("gear-taper-widens-from-its-narrow");
            faults.add(Fault::new("wide_mm", message).limit(self.narrow_mm));
        }
        faults.into_result()
    }

    /// How far from its narrow end it is so wide, mm; none where it never is.
    ///
    /// ```
    /// use lorimant_core::tool::gear::Taper;
    ///
    /// let taper = Taper { narrow_mm: 2.0, wide_mm: 12.0, length_mm: 100.0 };
    /// assert_eq!(taper.place_mm(4.5), Some(25.0));
    /// assert_eq!(taper.place_mm(1.5), None);
    /// ```
    #[must_use]
    pub fn place_mm(&self, across_mm: f64) -> Option<f64> {
        let share = (across_mm - self.narrow_mm) / (self.wide_mm - self.narrow_mm);
        (-1e-9..=1.0 + 1e-9).contains(&share).then_some(share * self.length_mm)
    }
}
