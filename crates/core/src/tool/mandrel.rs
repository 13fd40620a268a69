//! Mandrels: rods of any convex outline that wire is wound on.

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span, check_text};
use crate::tool::outline::Outline;
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{LengthUnit, both, rod_size, shown};
use crate::words::words;
use lorimant_text::{Text, text};

words! {
    /// The outline of a rod.
    pub enum Shape ("shape") {
        /// Round.
        Round = "round";
        /// Oval: an ellipse with a long and a short axis.
        Oval = "oval";
        /// Square, measured across its flats.
        Square = "square";
        /// Hexagon, measured across its flats.
        Hexagon = "hexagon";
        /// Octagon, measured across its flats.
        Octagon = "octagon";
    }
}

impl Shape {
    /// Number of flat sides; `None` for a rounded outline.
    ///
    /// ```
    /// use lorimant_core::tool::mandrel::Shape;
    ///
    /// assert_eq!(Shape::Hexagon.sides(), Some(6));
    /// assert_eq!(Shape::Oval.sides(), None);
    /// ```
    pub fn sides(self) -> Option<u32> {
        match self {
            Self::Round | Self::Oval => None,
            Self::Square => Some(4),
            Self::Hexagon => Some(6),
            Self::Octagon => Some(8),
        }
    }
}

/// A rod as a request or the workshop names it. Lengths in mm.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Mandrel {
    /// What the workshop calls it, for example `drill shank`; at most 60 characters.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub name: Option<String>,
    /// Outline; round if left out.
    #[serde(default = "round")]
    pub shape: Shape,
    /// Diameter; long axis of an oval; across the flats of a square, hexagon or octagon: 0.1 to 300.
    pub diameter_mm: f64,
    /// Short axis of an oval; two thirds of the long one if left out. Only for ovals.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub short_mm: Option<f64>,
    /// Rounding of the corners of a flat-sided rod, 0.05 or more; 0.3 if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub corner_mm: Option<f64>,
    /// Whole length of the rod, mm.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub length_mm: Option<f64>,
    /// Length that can be wound in one go, mm; if left out, what `length_mm` leaves beyond a 25 mm
    /// grip; without either, as long as the coil needs.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub usable_mm: Option<f64>,
    /// Layers of tape wrapped on it; none if left out.
    #[serde(default, skip_serializing_if = "is_zero")]
    pub tape_layers: u32,
    /// Thickness of one layer of tape; 0.13 if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub tape_mm: Option<f64>,
}

fn round() -> Shape {
    Shape::Round
}

#[expect(clippy::trivially_copy_pass_by_ref, reason = "the signature serde asks for")]
fn is_zero(n: &u32) -> bool {
    *n == 0
}

/// Thickness of common masking tape, mm.
pub const TAPE_MM: f64 = 0.13;
/// Length of a rod taken by the hand, chuck or vise that holds it, mm.
pub const GRIP_MM: f64 = 25.0;
/// Corner rounding assumed for flat-sided rods, mm.
pub const CORNER_MM: f64 = 0.3;

impl Mandrel {
    const DIAMETER: Span =
        Span { noun: Text::named("mandrel-rod-diameter"), unit: " mm", least: 0.1, most: 300.0 };
    const SHORT: Span =
        Span { noun: Text::named("mandrel-short-axis"), unit: " mm", least: 0.1, most: 300.0 };
    const CORNER: Span =
        Span { noun: Text::named("mandrel-corner-rounding"), unit: " mm", least: 0.05, most: 150.0 };
    const LENGTH: Span =
        Span { noun: Text::named("mandrel-rod-length"), unit: " mm", least: 1.0, most: 5000.0 };
    const USABLE: Span =
        Span { noun: Text::named("mandrel-usable-length"), unit: " mm", least: 1.0, most: 5000.0 };
    const TAPE: Span =
        Span { noun: Text::named("mandrel-tape-thickness"), unit: " mm", least: 0.01, most: 2.0 };

    /// A plain round rod.
    ///
    /// ```
    /// use lorimant_core::tool::mandrel::Mandrel;
    ///
    /// let rod = Mandrel::round(5.0);
    /// assert_eq!(rod.shown(), "5 mm rod");
    /// assert_eq!(rod.coil_room_mm(), None);
    /// ```
    pub fn round(diameter_mm: f64) -> Self {
        Self {
            name: None,
            shape: Shape::Round,
            diameter_mm,
            short_mm: None,
            corner_mm: None,
            length_mm: None,
            usable_mm: None,
            tape_layers: 0,
            tape_mm: None,
        }
    }

    /// Checks every dimension and that they go together.
    ///
    /// # Errors
    /// A fault for each dimension out of its limits, a short axis on a rod that is no oval or longer
    /// than the long one, corners rounder than the rod, more usable length than length.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.keep(Self::DIAMETER.check("diameter_mm", self.diameter_mm));
        let optional = [
            (&Self::SHORT, "short_mm", self.short_mm),
            (&Self::CORNER, "corner_mm", self.corner_mm),
            (&Self::LENGTH, "length_mm", self.length_mm),
            (&Self::USABLE, "usable_mm", self.usable_mm),
            (&Self::TAPE, "tape_mm", self.tape_mm),
        ];
        for (span, field, value) in optional {
            if let Some(value) = value {
                faults.keep(span.check(field, value));
            }
        }
        faults.keep(check_text(
            "name",
            text!("mandrel-rods-name"),
            self.name.as_deref().unwrap_or_default(),
            60,
        ));
        if self.tape_layers > 20 {
            let message = text!("mandrel-layers-tape-too-many-enter", tape_layers = self.tape_layers);
            faults.add(Fault::new("tape_layers", message).limit(20.0));
        }
        if faults.is_empty() {
            self.check_together(&mut faults);
        }
        faults.into_result()
    }

    fn check_together(&self, faults: &mut Faults) {
        if let Some(short) = self.short_mm {
            if self.shape != Shape::Oval {
                let message = text!("mandrel-rod-has-no-short-axis", shape = self.shape);
                faults.add(Fault::new("short_mm", message));
            } else if short > self.diameter_mm {
                let message = text!(
                    "mandrel-short-axis-longer-than-long",
                    short = both(short),
                    diameter_mm = both(self.diameter_mm)
                );
                faults.add(Fault::new("short_mm", message).limit(self.diameter_mm));
            }
        }
        if self.corner_mm.is_some_and(|corner| corner > self.diameter_mm / 2.0) {
            let most = self.diameter_mm / 2.0;
            let message = text!("mandrel-corners-cannot-be-rounder-than", most = both(most));
            faults.add(Fault::new("corner_mm", message).limit(most));
        }
        if let (Some(usable), Some(length)) = (self.usable_mm, self.length_mm)
            && usable > length
        {
            let message =
                text!("mandrel-cannot-be-wound-on-rod", usable = both(usable), length = both(length));
            faults.add(Fault::new("usable_mm", message).limit(length));
        }
    }

    /// Length that one coil may take, mm; `None` where nothing limits it.
    ///
    /// ```
    /// use lorimant_core::tool::mandrel::Mandrel;
    ///
    /// // A drill shank of 120 mm keeps 25 mm for the grip.
    /// let shank = Mandrel { length_mm: Some(120.0), ..Mandrel::round(5.0) };
    /// assert_eq!(shank.coil_room_mm(), Some(95.0));
    /// ```
    pub fn coil_room_mm(&self) -> Option<f64> {
        self.usable_mm.or_else(|| self.length_mm.map(|length| (length - GRIP_MM).max(1.0)))
    }

    /// What its tape adds across, mm.
    ///
    /// ```
    /// use lorimant_core::tool::mandrel::Mandrel;
    ///
    /// let rod = Mandrel { tape_layers: 2, tape_mm: Some(0.1), ..Mandrel::round(5.0) };
    /// assert!((rod.taped_mm() - 0.4).abs() < 1e-12);
    /// ```
    pub fn taped_mm(&self) -> f64 {
        2.0 * self.tape_mm.unwrap_or(TAPE_MM) * f64::from(self.tape_layers)
    }

    /// The outline the wire lies on, tape included: each layer adds twice its thickness.
    pub fn outline(&self) -> Outline {
        self.outline_taped(self.tape_layers)
    }

    /// The outline with another number of layers of tape on the rod.
    ///
    /// ```
    /// use lorimant_core::tool::mandrel::Mandrel;
    ///
    /// let rod = Mandrel { tape_mm: Some(0.1), ..Mandrel::round(5.0) };
    /// // Each layer of tape counts on both sides.
    /// assert!((rod.outline_taped(2).across() - 5.4).abs() < 1e-12);
    /// ```
    pub fn outline_taped(&self, layers: u32) -> Outline {
        let tape = self.tape_mm.unwrap_or(TAPE_MM) * f64::from(layers);
        let across = self.diameter_mm + 2.0 * tape;
        match (self.shape, self.shape.sides()) {
            (_, Some(sides)) => {
                let corner = self.corner_mm.unwrap_or(CORNER_MM).min(self.diameter_mm / 2.0) + tape;
                Outline::Flats { sides, across, corner }
            }
            (Shape::Oval, None) => {
                let short = self.short_mm.unwrap_or(self.diameter_mm / 1.5) + 2.0 * tape;
                Outline::Oval { long: across, short }
            }
            _ => Outline::Round { diameter: across },
        }
    }

    /// Its size and what it is called: `5 mm drill shank`, `6 × 4 mm oval rod`, with its tape.
    pub fn shown(&self) -> String {
        self.shown_in(LengthUnit::Mm)
    }

    /// Its size alone: `4.763 mm (3/16 in)`; of an oval both axes.
    pub fn size_shown(&self, unit: LengthUnit) -> String {
        match self.shape {
            Shape::Oval => {
                let short = self.short_mm.unwrap_or(self.diameter_mm / 1.5);
                match unit {
                    LengthUnit::Mm => {
                        text!("mandrel-mm", diameter_mm = shown(self.diameter_mm, 3), short = shown(short, 3))
                    }
                    LengthUnit::Inch => {
                        let inch = |mm| shown(mm / MM_PER_INCH, 3);
                        let (long_mm, short_mm) = (shown(self.diameter_mm, 3), shown(short, 3));
                        text!(
                            "mandrel-in-mm",
                            diameter_mm = inch(self.diameter_mm),
                            short = inch(short),
                            long_mm,
                            short_mm
                        )
                    }
                }
            }
            _ => rod_size(self.diameter_mm, unit),
        }
    }

    /// The same with the unit the workshop reads first: `3/16 in (4.763 mm) dowel`.
    ///
    /// ```
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let dowel = Mandrel { name: Some("dowel".into()), ..Mandrel::round(4.7625) };
    /// assert_eq!(dowel.shown_in(LengthUnit::Mm), "4.763 mm (3/16 in) dowel");
    /// ```
    pub fn shown_in(&self, unit: LengthUnit) -> String {
        let size = self.size_shown(unit);
        let shape = if self.shape == Shape::Round { String::new() } else { format!(" {}", self.shape) };
        let name = self.name.as_deref().unwrap_or("rod");
        let tape = match self.tape_layers {
            0 => String::new(),
            1 => text!("mandrel-with-1-layer-tape").to_owned(),
            n => text!("mandrel-with-layers-tape", n),
        };
        format!("{size}{shape} {name}{tape}")
    }
}
