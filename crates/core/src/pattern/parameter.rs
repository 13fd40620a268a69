//! What can be chosen about a pattern: its dimensions, and the ways it can be made.

use serde::Serialize;

use super::PatternRequest;
use crate::fault::{Fault, Span, TURNS};
use crate::words::words;
use lorimant_text::{Text, text};

words! {
    /// What a parameter is counted in.
    pub enum Unit ("unit") {
        /// Millimetres.
        Mm = "mm";
        /// Degrees.
        Deg = "deg";
        /// Turns; part-turns count.
        Turns = "turns";
        /// One of a few ways, by number from 0.
        Choice = "choice";
    }
}

/// What a parameter is where nobody chose it.
#[derive(Debug, Clone, Copy)]
pub enum Usual {
    /// The same in every wire: an ear, a cord or a bead decides it.
    Fixed,
    /// In proportion to the wire, so that the piece looks itself in any gauge.
    Grows,
    /// It follows from the rest of the request.
    From(fn(&PatternRequest) -> f64),
}

/// One thing about a pattern that can be chosen.
#[derive(Debug, Clone, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Parameter {
    /// Its name in a request; ends in its unit.
    pub name: &'static str,
    /// What it is called.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub label: Text,
    /// What it is counted in.
    pub unit: Unit,
    /// What it is if left out, in the pattern's usual wire, in its unit.
    pub default: f64,
    /// How that follows the wire.
    #[serde(skip)]
    pub usual: Usual,
    /// Least it can be, in its unit.
    pub min: f64,
    /// Most it can be, in its unit.
    pub max: f64,
    /// For a choice: what each number means.
    #[serde(skip_serializing_if = "<[_]>::is_empty")]
    #[cfg_attr(feature = "schema", schema(value_type = Vec<String>))]
    pub options: &'static [Text],
    /// What the sentence says where it is 0.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub none: Option<Text>,
    /// Whether it is given by what it has to fit: a cord, a bead.
    #[serde(skip)]
    pub fits: bool,
    /// What it is, in a sentence.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub description: Text,
}

impl PartialEq for Parameter {
    fn eq(&self, other: &Self) -> bool {
        std::ptr::eq(self, other)
    }
}

/// Wires this close are of one size.
const SAME: f64 = 0.02;

/// A length as one would say it: to 0.1 mm, small ones to 0.05 mm.
pub(crate) fn tidy(mm: f64) -> f64 {
    let step = if mm < 1.0 { 20.0 } else { 10.0 };
    if mm.is_finite() { (mm * step).round() / step } else { 0.0 }
}

impl Parameter {
    const fn number(name: &'static str, label: Text, unit: Unit, span: [f64; 3], description: Text) -> Self {
        let [default, min, max] = span;
        Self {
            name,
            label,
            unit,
            default,
            min,
            max,
            usual: Usual::Fixed,
            options: &[],
            none: None,
            fits: false,
            description,
        }
    }

    /// A length: default, least and most in mm.
    pub const fn mm(name: &'static str, label: Text, span: [f64; 3], description: Text) -> Self {
        Self::number(name, label, Unit::Mm, span, description)
    }

    /// An angle: default, least and most in degrees.
    pub const fn deg(name: &'static str, label: Text, span: [f64; 3], description: Text) -> Self {
        Self::number(name, label, Unit::Deg, span, description)
    }

    /// A number of turns.
    pub const fn turns(name: &'static str, label: Text, span: [f64; 3], description: Text) -> Self {
        Self::number(name, label, Unit::Turns, span, description)
    }

    /// One of a few ways; the first if left out. `max` is the number of the last.
    pub const fn choice(
        name: &'static str,
        label: Text,
        options: &'static [Text],
        max: f64,
        description: Text,
    ) -> Self {
        Self { options, ..Self::number(name, label, Unit::Choice, [0.0, 0.0, max], description) }
    }

    /// The same, given by what it has to fit.
    pub const fn fits(self) -> Self {
        Self { fits: true, ..self }
    }

    /// The same, in proportion to the wire where nobody chose it.
    pub const fn grows(self) -> Self {
        Self { usual: Usual::Grows, ..self }
    }

    /// The same, following from the rest of the request where nobody chose it.
    pub const fn from(self, usual: fn(&PatternRequest) -> f64) -> Self {
        Self { usual: Usual::From(usual), ..self }
    }

    /// What it is in a request that does not say.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let mut hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let eye = hook.kind.0.parameter("eye_mm").unwrap();
    /// assert_eq!(eye.usual_in(&hook), eye.default);
    /// // In wire twice as thick the eye is twice as wide.
    /// hook.wire.size_mm *= 2.0;
    /// assert!((eye.usual_in(&hook) - 2.0 * eye.default).abs() < 0.051);
    /// ```
    pub fn usual_in(&self, request: &PatternRequest) -> f64 {
        let usual = match self.usual {
            Usual::Fixed => return self.default,
            Usual::Grows => {
                let usual = request.kind.0.usual().profile().thickness_mm();
                let by = request.wire.profile().thickness_mm() / usual;
                // Neighbouring systems' sizes are a hair apart: what is usual stays a round number.
                if (by - 1.0).abs() < SAME { self.default } else { tidy(self.default * by) }
            }
            Usual::From(follows) => follows(request),
        };
        if usual == 0.0 && self.none.is_some() { 0.0 } else { usual.clamp(self.min, self.max) }
    }

    /// The same, which may be left out by making it 0.
    pub const fn or_none(self, none: Text) -> Self {
        Self { none: Some(none), ..self }
    }

    /// Checks a value for it.
    ///
    /// ```
    /// use lorimant_core::pattern::Kind;
    ///
    /// let hook: Kind = "hook-clasp".parse().unwrap();
    /// let eye = hook.0.parameter("eye_mm").unwrap();
    /// assert!(eye.check(eye.default).is_ok());
    /// assert_eq!(eye.check(-1.0).unwrap_err().field, "parameters.eye_mm");
    /// ```
    ///
    /// # Errors
    /// A fault at `parameters.<name>` when it is out of limits, or no whole number for a choice.
    pub fn check(&self, value: f64) -> Result<f64, Fault> {
        let field = format!("parameters.{}", self.name);
        if self.none.is_some() && value == 0.0 {
            return Ok(0.0);
        }
        let unit = match self.unit {
            Unit::Mm => " mm",
            Unit::Deg => "°",
            Unit::Turns => TURNS,
            Unit::Choice => "",
        };
        let value = Span { noun: self.label, unit, least: self.min, most: self.max }.check(&field, value)?;
        if self.unit == Unit::Choice && value.fract() != 0.0 {
            let ways: Vec<String> =
                self.options.iter().enumerate().map(|(i, way)| text!("parameter-is", i, way)).collect();
            let message =
                text!("parameter-between-two-options-for", value, label = self.label, ways = ways.join(", "));
            return Err(Fault::new(field, message));
        }
        Ok(value)
    }
}
