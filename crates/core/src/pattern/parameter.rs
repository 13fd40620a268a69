//! What can be chosen about a pattern: its dimensions, and the ways it can be made.

use serde::Serialize;

use crate::fault::{Fault, Span};
use crate::words::words;

words! {
    /// What a parameter is counted in.
    pub enum Unit ("unit of a parameter") {
        /// Millimetres.
        Mm = "mm", "mm";
        /// Degrees.
        Deg = "deg", "°";
        /// Turns; part-turns count.
        Turns = "turns", "turns";
        /// One of a few ways, by number from 0.
        Choice = "choice", "";
    }
}

/// One thing about a pattern that can be chosen.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Parameter {
    /// Its name in a request; ends in its unit.
    pub name: &'static str,
    /// What it is called.
    pub label: &'static str,
    /// What it is counted in.
    pub unit: Unit,
    /// What it is if left out.
    pub default: f64,
    /// Least it can be.
    pub min: f64,
    /// Most it can be.
    pub max: f64,
    /// For a choice: what each number means.
    #[serde(skip_serializing_if = "<[_]>::is_empty")]
    pub options: &'static [&'static str],
    /// What the sentence says where it is 0.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub none: Option<&'static str>,
    /// What it is, in a sentence.
    pub sentence: &'static str,
}

impl Parameter {
    const fn number(
        name: &'static str,
        label: &'static str,
        unit: Unit,
        span: [f64; 3],
        sentence: &'static str,
    ) -> Self {
        let [default, min, max] = span;
        Self { name, label, unit, default, min, max, options: &[], none: None, sentence }
    }

    /// A length: default, least and most in mm.
    pub const fn mm(name: &'static str, label: &'static str, span: [f64; 3], sentence: &'static str) -> Self {
        Self::number(name, label, Unit::Mm, span, sentence)
    }

    /// An angle: default, least and most in degrees.
    pub const fn deg(
        name: &'static str,
        label: &'static str,
        span: [f64; 3],
        sentence: &'static str,
    ) -> Self {
        Self::number(name, label, Unit::Deg, span, sentence)
    }

    /// A number of turns.
    pub const fn turns(
        name: &'static str,
        label: &'static str,
        span: [f64; 3],
        sentence: &'static str,
    ) -> Self {
        Self::number(name, label, Unit::Turns, span, sentence)
    }

    /// One of a few ways; the first if left out. `max` is the number of the last.
    pub const fn choice(
        name: &'static str,
        label: &'static str,
        options: &'static [&'static str],
        max: f64,
        sentence: &'static str,
    ) -> Self {
        Self { options, ..Self::number(name, label, Unit::Choice, [0.0, 0.0, max], sentence) }
    }

    /// The same, which may be left out by making it 0.
    pub const fn or_none(self, none: &'static str) -> Self {
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
            Unit::Turns => " turns",
            Unit::Choice => "",
        };
        let value = Span { noun: self.label, unit, least: self.min, most: self.max }.check(&field, value)?;
        if self.unit == Unit::Choice && value.fract() != 0.0 {
            let ways: Vec<String> =
                self.options.iter().enumerate().map(|(i, way)| format!("{i} is {way}")).collect();
            let said = format!("{value} is between two ways for the {}. {}.", self.label, ways.join(", "));
            return Err(Fault::new(field, said));
        }
        Ok(value)
    }
}
