//! Pliers with jaws that wire is rolled on: where on the jaw a diameter is, and what a slip costs.

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span, check_text};
use crate::words::length::both;
use crate::words::words;
use lorimant_text::{Text, text};

words! {
    /// How a plier's jaws are made.
    pub enum Jaws ("jaws") {
        /// Round cones, thin at the tip.
        RoundNose = "round-nose";
        /// A stack of round steps, each of one diameter.
        Stepped = "stepped";
        /// Two round jaws, each of one diameter.
        Loop = "loop-jaws";
    }
}

/// A diameter measured at a place on the jaw.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct MeasuredPlace {
    /// From the tip, mm.
    pub at_mm: f64,
    /// Diameter there, mm.
    pub diameter_mm: f64,
}

/// A plier the workshop owns. Lengths in mm.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Plier {
    /// What the workshop calls it, 1 to 60 characters.
    pub name: String,
    /// How its jaws are made.
    pub jaws: Jaws,
    /// Round-nose: diameter at the tip.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub tip_mm: Option<f64>,
    /// Round-nose: diameter at the base.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub base_mm: Option<f64>,
    /// Round-nose: length of the jaw.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub length_mm: Option<f64>,
    /// Round-nose: two measured places, instead of the diameters at tip and base.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub measured: Vec<MeasuredPlace>,
    /// How far the jaws reach from their joint, mm; as long as round-nose jaws are, or usual if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub reach_mm: Option<f64>,
    /// Stepped: the diameters, from the tip. Loop jaws: the two diameters.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub diameters_mm: Vec<f64>,
}

/// Where wire is held on a jaw to roll a diameter.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct JawPlace {
    /// Diameter of the jaw there, mm.
    pub diameter_mm: f64,
    /// From the tip, mm; none where a step or jaw has one diameter all along.
    pub at_mm: Option<f64>,
    /// How much the loop changes with 1 mm of slip along the jaw.
    pub slip: f64,
}

/// Jaw length taken where none is given, mm.
const USUAL_LENGTH_MM: f64 = 25.0;

impl Plier {
    const DIAMETER: Span =
        Span { noun: Text::named("plier-jaw-diameter"), unit: " mm", least: 0.2, most: 60.0 };
    const LENGTH: Span = Span { noun: Text::named("plier-jaw-length"), unit: " mm", least: 2.0, most: 120.0 };
    const REACH: Span = Span { noun: Text::named("plier-reach-jaws"), unit: " mm", least: 2.0, most: 200.0 };
    const PLACE: Span =
        Span { noun: Text::named("plier-place-on-jaw"), unit: " mm", least: 0.0, most: 120.0 };

    /// Checks that its dimensions are there and go together.
    ///
    /// # Errors
    /// A fault for each that is missing, out of its limits, or contradicts another.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        if self.name.trim().is_empty() {
            faults.add(Fault::new("name", text!("plier-enter-name-for-pliers")));
        } else {
            faults.keep(check_text("name", text!("noun-name"), self.name.trim(), 60));
        }
        if let Some(reach) = self.reach_mm {
            faults.keep(Self::REACH.check("reach_mm", reach));
        }
        if let Some(length) = self.length_mm {
            faults.keep(Self::LENGTH.check("length_mm", length));
        }
        match self.jaws {
            Jaws::RoundNose => self.check_cone(&mut faults),
            Jaws::Stepped | Jaws::Loop => self.check_steps(&mut faults),
        }
        faults.into_result()
    }

    fn check_cone(&self, faults: &mut Faults) {
        for (i, place) in self.measured.iter().enumerate() {
            faults.keep(Self::PLACE.check(&format!("measured[{i}].at_mm"), place.at_mm));
            faults.keep(Self::DIAMETER.check(&format!("measured[{i}].diameter_mm"), place.diameter_mm));
        }
        match (self.tip_mm, self.base_mm, self.measured.as_slice()) {
            (Some(tip), Some(base), []) => {
                faults.keep(Self::DIAMETER.check("tip_mm", tip));
                faults.keep(Self::DIAMETER.check("base_mm", base));
                if base <= tip {
                    let message = text!("plier-base-no-thicker-than-tip", base = both(base), tip = both(tip));
                    faults.add(Fault::new("base_mm", message).limit(tip));
                }
            }
            (None, None, [first, second]) => {
                if second.at_mm - first.at_mm < 1.0 || second.diameter_mm <= first.diameter_mm {
                    let message = text!("plier-second-place-must-be-at");
                    faults.add(Fault::new("measured[1].at_mm", message));
                }
            }
            _ => {
                let message = text!("plier-enter-diameters-at-tip-base");
                faults.add(Fault::new("tip_mm", message));
            }
        }
    }

    fn check_steps(&self, faults: &mut Faults) {
        let least = if self.jaws == Jaws::Loop { 2 } else { 1 };
        let n = self.diameters_mm.len();
        if n < least || n > 12 || (self.jaws == Jaws::Loop && n != 2) {
            let right = if self.jaws == Jaws::Loop { text!("plier-exactly-2") } else { text!("plier-1-12") };
            let message = text!("plier-diameters-entered-jaws-have", n, jaws = self.jaws.shown(), right);
            faults.add(Fault::new("diameters_mm", message));
        }
        for (i, diameter) in self.diameters_mm.iter().enumerate() {
            faults.keep(Self::DIAMETER.check(&format!("diameters_mm[{i}]"), *diameter));
        }
    }

    /// A cone's diameter at the tip, growth per mm, and length.
    fn cone(&self) -> Option<(f64, f64, f64)> {
        let length = self.length_mm.unwrap_or(USUAL_LENGTH_MM);
        match (self.tip_mm, self.base_mm, self.measured.as_slice()) {
            (Some(tip), Some(base), _) => Some((tip, (base - tip) / length, length)),
            (_, _, [first, second]) => {
                let taper = (second.diameter_mm - first.diameter_mm) / (second.at_mm - first.at_mm);
                Some((first.diameter_mm - taper * first.at_mm, taper, length.max(second.at_mm)))
            }
            _ => None,
        }
    }

    /// The place on its jaws nearest to a diameter.
    ///
    /// A round-nose jaw grows linearly: `(Ø − tip)/(base − tip) × jaw length` from the tip, and a slip
    /// of 1 mm changes a loop by `(base − tip)/jaw length`.
    ///
    /// ```
    /// use lorimant_core::tool::plier::{Jaws, Plier};
    ///
    /// let plier = Plier {
    ///     name: "slim round-nose".into(),
    ///     jaws: Jaws::RoundNose,
    ///     tip_mm: Some(1.0),
    ///     base_mm: Some(5.0),
    ///     length_mm: Some(20.0),
    ///     reach_mm: None,
    ///     measured: vec![],
    ///     diameters_mm: vec![],
    /// };
    /// // A taper of 0.2 mm a millimetre: 3 mm stands ten millimetres from the tip.
    /// let place = plier.place(3.0).unwrap();
    /// assert!((place.at_mm.unwrap() - 10.0).abs() < 1e-9);
    /// ```
    pub fn place(&self, diameter_mm: f64) -> Option<JawPlace> {
        if let (Jaws::RoundNose, Some((tip, taper, length))) = (self.jaws, self.cone()) {
            let at = ((diameter_mm - tip) / taper).clamp(0.0, length);
            return Some(JawPlace { diameter_mm: tip + taper * at, at_mm: Some(at), slip: taper });
        }
        let off = |d: &&f64| (**d - diameter_mm).abs();
        let nearest = self.diameters_mm.iter().min_by(|a, b| off(a).total_cmp(&off(b)))?;
        Some(JawPlace { diameter_mm: *nearest, at_mm: None, slip: 0.0 })
    }

    /// Diameter of a round-nose jaw at a place, mm; nothing where a step or jaw has one diameter all along.
    ///
    /// ```
    /// use lorimant_core::tool::plier::Plier;
    ///
    /// let plier: Plier = serde_json::from_str(
    ///     r#"{"name": "slim", "jaws": "round-nose", "tip_mm": 1, "base_mm": 5, "length_mm": 20}"#,
    /// )
    /// .unwrap();
    /// assert_eq!(plier.diameter_at(10.0), Some(3.0));
    /// ```
    #[must_use]
    pub fn diameter_at(&self, at_mm: f64) -> Option<f64> {
        let (tip, taper, _) = self.cone().filter(|_| self.jaws == Jaws::RoundNose)?;
        Some(tip + taper * at_mm)
    }

    /// How far its jaws reach from their joint, mm.
    #[must_use]
    pub fn reach_mm(&self) -> f64 {
        self.reach_mm.or(self.length_mm).unwrap_or(USUAL_LENGTH_MM)
    }

    /// Its name with what it is: `slim round-nose pliers`.
    pub fn shown(&self) -> String {
        self.name.trim().to_owned()
    }
}
