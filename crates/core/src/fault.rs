//! What is wrong with an input: where, with which value, and what would be right.

use std::fmt;

use serde::{Deserialize, Serialize};

/// One thing wrong, at one field.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Fault {
    /// Path of the field, for example `wire.size_mm`.
    pub field: String,
    /// A full sentence: what is wrong, with which value, what would be right.
    pub sentence: String,
    /// The limit that was passed, in the field's own unit, where there is one.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub limit: Option<f64>,
}

impl Fault {
    /// A fault at `field`, without a numeric limit.
    pub fn new(field: impl Into<String>, sentence: impl Into<String>) -> Self {
        Self { field: field.into(), sentence: sentence.into(), limit: None }
    }

    /// The same fault with the limit that was passed.
    pub fn limit(mut self, limit: f64) -> Self {
        self.limit = Some(limit);
        self
    }

    /// The same fault seen from a larger record: `wire` before `size_mm` makes `wire.size_mm`.
    pub fn within(mut self, outer: &str) -> Self {
        self.field = format!("{outer}.{}", self.field);
        self
    }
}

/// Everything wrong with one input.
#[derive(Debug, Clone, PartialEq)]
pub struct Faults(pub Vec<Fault>);

impl Faults {
    /// Collects the fault of `result`, if it has one, and hands on its value.
    pub(crate) fn keep<T>(&mut self, result: Result<T, Fault>) -> Option<T> {
        result.map_err(|fault| self.0.push(fault)).ok()
    }
}

impl From<Fault> for Faults {
    fn from(fault: Fault) -> Self {
        Self(vec![fault])
    }
}

impl fmt::Display for Faults {
    fn fmt(&self, f: &mut fmt::Formatter) -> fmt::Result {
        for (i, fault) in self.0.iter().enumerate() {
            let gap = if i > 0 { " " } else { "" };
            write!(f, "{gap}{}", fault.sentence)?;
        }
        Ok(())
    }
}

impl std::error::Error for Faults {}

/// A number's allowed span, closed at both ends, with the words for its error.
pub(crate) struct Span {
    pub noun: &'static str,
    pub unit: &'static str,
    pub least: f64,
    pub most: f64,
}

impl Span {
    /// The value itself when it lies in the span; otherwise a fault at `field`.
    pub fn check(&self, field: &str, value: f64) -> Result<f64, Fault> {
        let Self { noun, unit, least, most } = self;
        let right = format!("It can be from {least} to {most}{unit}.");
        if !value.is_finite() {
            Err(Fault::new(field, format!("The {noun} is not a number. {right}")))
        } else if value < 0.0 && *least >= 0.0 {
            let said = format!("The {noun} is negative ({value}{unit}). {right}");
            Err(Fault::new(field, said).limit(*least))
        } else if value == 0.0 && *least > 0.0 {
            Err(Fault::new(field, format!("The {noun} is zero. {right}")).limit(*least))
        } else if value < *least {
            let said = format!("The {noun} of {value}{unit} is too small. {right}");
            Err(Fault::new(field, said).limit(*least))
        } else if value > *most {
            let said = format!("The {noun} of {value}{unit} is too large. {right}");
            Err(Fault::new(field, said).limit(*most))
        } else {
            Ok(value)
        }
    }
}
