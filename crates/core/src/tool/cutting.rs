//! Cutting a coil into rings: the methods, what each takes, and saw blades.

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span};
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::both;
use crate::words::words;
use lorimant_text::{Text, fixed, text};

/// What is minded at every cut.
pub const CAUTION: Text = Text::named("cutting-wear-safety-glasses-hold-both");

words! {
    /// How a coil is cut into rings.
    pub enum Method ("method") {
        /// Sawn along the coil: two square faces, one kerf lost per ring.
        Saw = "saw";
        /// Flush cutter, cut twice: two flat faces, a sliver lost per ring.
        DoubleFlush = "double-flush";
        /// The tips of sheet shears: nearly flat faces, their burr filed.
        Shears = "shears";
        /// One snip with a side cutter: pinched faces, nothing lost.
        SingleSnip = "single-snip";
    }
}

words! {
    /// A jeweller's saw blade, by its number.
    pub enum Blade ("blade") {
        /// 8/0.
        B8o = "8/0";
        /// 7/0.
        B7o = "7/0";
        /// 6/0.
        B6o = "6/0";
        /// 5/0.
        B5o = "5/0";
        /// 4/0.
        B4o = "4/0";
        /// 3/0.
        B3o = "3/0";
        /// 2/0.
        B2o = "2/0";
        /// 1/0.
        B1o = "1/0";
        /// 1.
        B1 = "1";
        /// 2.
        B2 = "2";
        /// 3.
        B3 = "3";
        /// 4.
        B4 = "4";
        /// 5.
        B5 = "5";
        /// 6.
        B6 = "6";
    }
}

/// Teeth of a blade that must stand in the wire, or it catches.
pub const LEAST_TEETH: f64 = 2.0;
/// Width of the sliver trimmed from a ring by the second flush cut, in wire sizes.
pub const SLIVER: f64 = 0.6;
/// Filed off each pinched face after a single snip, in wire sizes.
pub const FILING: f64 = 0.1;

/// Burr filed off each face after sheet shears, in wire sizes.
pub const BURR: f64 = 0.05;

impl Blade {
    /// Thickness, which is the kerf it leaves, mm. Source: makers' tables of jeweller's blades.
    pub fn thickness_mm(self) -> f64 {
        match self {
            Self::B8o => 0.16,
            Self::B7o => 0.17,
            Self::B6o => 0.18,
            Self::B5o => 0.20,
            Self::B4o => 0.22,
            Self::B3o => 0.24,
            Self::B2o => 0.26,
            Self::B1o => 0.28,
            Self::B1 => 0.30,
            Self::B2 => 0.34,
            Self::B3 => 0.36,
            Self::B4 => 0.38,
            Self::B5 => 0.40,
            Self::B6 => 0.44,
        }
    }

    /// Teeth per inch, about. Source: makers' tables of jeweller's blades.
    pub fn teeth_per_inch(self) -> f64 {
        match self {
            Self::B8o => 89.0,
            Self::B7o => 84.0,
            Self::B6o => 76.0,
            Self::B5o => 71.0,
            Self::B4o => 66.0,
            Self::B3o => 61.0,
            Self::B2o => 56.0,
            Self::B1o => 53.0,
            Self::B1 => 51.0,
            Self::B2 => 43.0,
            Self::B3 => 40.0,
            Self::B4 => 38.0,
            Self::B5 => 35.0,
            Self::B6 => 33.0,
        }
    }

    /// How many of its teeth stand in a wire of this size at once.
    ///
    /// ```
    /// use lorimant_core::tool::cutting::Blade;
    ///
    /// // A finer blade has more teeth in the same wire.
    /// assert!(Blade::B8o.teeth_in(1.0) > Blade::B4o.teeth_in(1.0));
    /// ```
    pub fn teeth_in(self, size_mm: f64) -> f64 {
        self.teeth_per_inch() * size_mm / MM_PER_INCH
    }

    /// Thinnest wire that two of its teeth stand in, mm.
    ///
    /// ```
    /// use lorimant_core::tool::cutting::{Blade, LEAST_TEETH};
    ///
    /// let blade = Blade::B4o;
    /// assert!((blade.teeth_in(blade.least_wire_mm()) - LEAST_TEETH).abs() < 1e-12);
    /// ```
    pub fn least_wire_mm(self) -> f64 {
        LEAST_TEETH * MM_PER_INCH / self.teeth_per_inch()
    }

    /// The blade for a wire: 4/0, the usual one, where it has teeth enough in the wire, otherwise
    /// the coarsest that has; for wire too thin for any, the finest made.
    ///
    /// ```
    /// use lorimant_core::tool::cutting::Blade;
    ///
    /// // The usual blade for usual wire, a finer one where too few teeth would stand in it.
    /// assert_eq!(Blade::suited_to(1.6), Blade::B4o);
    /// assert!(Blade::suited_to(0.6).thickness_mm() < Blade::B4o.thickness_mm());
    /// ```
    pub fn suited_to(size_mm: f64) -> Self {
        let finer_or_usual = Self::ALL.iter().rev().filter(|blade| **blade <= Self::B4o);
        let mut suited = finer_or_usual.filter(|blade| blade.teeth_in(size_mm) >= LEAST_TEETH);
        suited.next().copied().unwrap_or(Self::B8o)
    }
}

/// How a coil is cut, as a request names it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Cutting {
    /// The way of cutting; sawn if left out.
    pub method: Method,
    /// The saw blade; if left out, one suited to the wire. Only read when sawing.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub blade: Option<Blade>,
    /// The kerf as measured, mm, where it differs from the blade's listed thickness.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub kerf_mm: Option<f64>,
    /// Width of the sliver trimmed per ring when flush cutting, mm; 0.6 wire sizes if left out.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub sliver_mm: Option<f64>,
    /// Whether pinched ends are filed flat after a single snip, which takes 0.1 wire sizes off each.
    pub filed: bool,
}

impl Default for Cutting {
    fn default() -> Self {
        Self { method: Method::Saw, blade: None, kerf_mm: None, sliver_mm: None, filed: false }
    }
}

/// What a way of cutting takes of the wire for each ring, mm.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct CutLoss {
    /// Lost out of the ring's own turn, so that closing it makes the ring smaller: kerf or filing.
    pub from_ring_mm: f64,
    /// Lost between rings, so that each ring needs more than a turn of the coil: the sliver.
    pub between_mm: f64,
}

impl Cutting {
    const KERF: Span = Span { noun: Text::named("cutting-kerf"), unit: " mm", least: 0.05, most: 2.0 };
    const SLIVER_SPAN: Span =
        Span { noun: Text::named("cutting-sliver"), unit: " mm", least: 0.0, most: 20.0 };

    /// The blade that will be used on wire of this size.
    pub fn blade_for(&self, size_mm: f64) -> Blade {
        self.blade.unwrap_or_else(|| Blade::suited_to(size_mm))
    }

    /// What it takes per ring from wire of this size.
    ///
    /// ```
    /// use lorimant_core::tool::cutting::{Blade, Cutting, Method};
    ///
    /// let sawn = Cutting { blade: Some(Blade::B4o), ..Cutting::default() };
    /// assert_eq!(sawn.taken(1.0).from_ring_mm, Blade::B4o.thickness_mm());
    /// // A single snip takes nothing.
    /// let snipped = Cutting { method: Method::SingleSnip, ..Cutting::default() };
    /// assert_eq!(snipped.taken(1.0).from_ring_mm, 0.0);
    /// ```
    pub fn taken(&self, size_mm: f64) -> CutLoss {
        let (from_ring_mm, between_mm) = match self.method {
            Method::Saw => (self.kerf_mm.unwrap_or_else(|| self.blade_for(size_mm).thickness_mm()), 0.0),
            Method::DoubleFlush => (0.0, self.sliver_mm.unwrap_or(SLIVER * size_mm)),
            Method::Shears => (2.0 * BURR * size_mm, 0.0),
            Method::SingleSnip if self.filed => (2.0 * FILING * size_mm, 0.0),
            Method::SingleSnip => (0.0, 0.0),
        };
        CutLoss { from_ring_mm, between_mm }
    }

    /// Checks it against the wire it is to cut.
    ///
    /// ```
    /// use lorimant_core::tool::cutting::Cutting;
    ///
    /// let wide = Cutting { kerf_mm: Some(3.0), ..Cutting::default() };
    /// assert_eq!(wide.check(1.0).unwrap_err().0[0].field, "kerf_mm");
    /// ```
    ///
    /// # Errors
    /// A fault for a kerf or sliver out of limits, and for a named blade with fewer than two teeth
    /// in the wire where a finer blade is made.
    pub fn check(&self, size_mm: f64) -> Result<(), Faults> {
        let mut faults = Faults::none();
        if let Some(kerf) = self.kerf_mm {
            faults.keep(Self::KERF.check("kerf_mm", kerf));
        }
        if let Some(sliver) = self.sliver_mm {
            faults.keep(Self::SLIVER_SPAN.check("sliver_mm", sliver));
        }
        let kerf = self.kerf_mm.unwrap_or_else(|| self.blade_for(size_mm).thickness_mm());
        if self.method == Method::Saw && size_mm > 0.0 && kerf >= size_mm {
            let message = text!("cutting-saw-cut-wide-takes-all", kerf = both(kerf), size_mm = both(size_mm));
            faults.add(Fault::new("method", message).limit(size_mm));
        }
        if let (Method::Saw, Some(blade)) = (self.method, self.blade) {
            let teeth = blade.teeth_in(size_mm);
            let right = Blade::suited_to(size_mm);
            if teeth < LEAST_TEETH && blade != right && size_mm.is_finite() {
                let message = text!(
                    "cutting-blade-has-only-teeth-in",
                    blade,
                    teeth = fixed(teeth, 1),
                    size_mm = both(size_mm),
                    right
                );
                faults.add(Fault::new("blade", message).limit(LEAST_TEETH));
            }
        }
        faults.into_result()
    }
}
