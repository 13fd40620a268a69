//! Figures as a person reads them, each with its working.

use serde::Serialize;

use crate::words::length::{LengthUnit, caliper, caliper_number, inches, on_ruler};
use crate::words::words;
use crate::working::Numbers;

words! {
    /// The question a figure answers; figures stand together by it.
    pub enum Question ("question") {
        /// What do I cut?
        Cut = "cut";
        /// What is the piece like?
        InYourHand = "in-your-hand";
        /// What do I wind?
        OnTheRod = "on-the-rod";
        /// What does it take?
        OffTheSpool = "off-the-spool";
        /// Will it hold?
        WillItHold = "will-it-hold";
    }
}

words! {
    /// How much attention something asks for.
    pub enum Level ("level") {
        /// Worth knowing.
        Note = "note";
        /// Look before going on.
        Watch = "watch";
        /// Do not go on like this.
        Stop = "stop";
    }
}

/// How a figure came about.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Working {
    /// What the figure is, in a sentence.
    pub text: String,
    /// The formula, in letters.
    pub formula: String,
    /// The formula with this case's numbers in it.
    pub numbers: String,
    /// What is assumed.
    pub assumption: String,
    /// How far off it may be.
    pub spread: String,
    /// Where the formula and the handbook figures come from.
    pub source: String,
}

/// A length in inches as it is read, its unit apart: `1/2` and `in (0.008 less)`, `7 ft 8.6` and `in`.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct InInches {
    /// The number, or the feet and the number.
    pub value: String,
    /// Its unit, and how near it is where it was rounded to a ruler's mark.
    pub unit: String,
}

impl InInches {
    /// Parts a length as [`inches`] and [`on_ruler`] write it.
    fn of(written: &str) -> Self {
        let at = written.find(" in").unwrap_or(written.len());
        let (value, unit) = written.split_at(at);
        Self { value: value.to_owned(), unit: unit.trim_start().to_owned() }
    }
}

impl std::fmt::Display for InInches {
    fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        write!(f, "{} {}", self.value, self.unit)
    }
}

/// One computed figure.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Figure {
    /// A stable name, for example `ring-inside`.
    pub key: &'static str,
    /// The question it answers.
    pub question: Question,
    /// What it is called.
    pub label: String,
    /// The value in metric units, without its unit.
    pub value: String,
    /// The metric unit; empty for a plain number.
    pub unit: &'static str,
    /// The value in inches or feet, where it is read off a ruler.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub inch: Option<InInches>,
    /// One line more: ±, or the same in another unit.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub more: Option<String>,
    /// Attention it asks for, where it does.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub level: Option<Level>,
    /// How it came about.
    pub working: Working,
}

/// A figure still without its working.
pub(crate) fn figure(
    key: &'static str,
    question: Question,
    label: &str,
    value: String,
    unit: &'static str,
) -> Figure {
    let working = Working {
        text: String::new(),
        formula: String::new(),
        numbers: String::new(),
        assumption: String::new(),
        spread: String::new(),
        source: String::new(),
    };
    Figure {
        key,
        question,
        label: label.to_owned(),
        value,
        unit,
        inch: None,
        more: None,
        level: None,
        working,
    }
}

impl Figure {
    /// What it is, with its unit, in the unit read first: `5.06 mm`, `0.199 in`.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let request = RingRequest::new(wire, Mandrel::round(5.0), 100);
    /// let workshop = Workshop::default();
    /// let figures = request.finished(&workshop).unwrap().figures(&request, &workshop);
    /// let inside = figures.iter().find(|figure| figure.key == "ring-inside").unwrap();
    /// assert_eq!(inside.first(LengthUnit::Mm), format!("{} mm", inside.value));
    /// assert!(inside.first(LengthUnit::Inch).ends_with(" in"));
    /// ```
    pub fn first(&self, unit: LengthUnit) -> String {
        match (&self.inch, unit) {
            (Some(inch), LengthUnit::Inch) => inch.to_string(),
            _ => format!("{} {}", self.value, self.unit).trim_end().to_owned(),
        }
    }

    /// The same in the other unit, where it is read off a ruler.
    pub fn other(&self, unit: LengthUnit) -> Option<String> {
        let inch = self.inch.as_ref()?.to_string();
        Some(match unit {
            LengthUnit::Mm => inch,
            LengthUnit::Inch => self.first(LengthUnit::Mm),
        })
    }

    /// With the same in inches.
    pub(crate) fn ruler(mut self, mm: f64) -> Self {
        self.inch = Some(InInches::of(&inches(mm)));
        self
    }

    /// With its value as a caliper reads it, and the same in inches.
    pub(crate) fn by_caliper(mut self, mm: f64) -> Self {
        self.value = caliper_number(mm, LengthUnit::Mm);
        self.inch = Some(InInches::of(&caliper(mm, LengthUnit::Inch)));
        self
    }

    /// With the same as it is measured off in inches: to the ruler's mark.
    pub(crate) fn measured_off(mut self, mm: f64) -> Self {
        self.inch = Some(InInches::of(&on_ruler(mm, LengthUnit::Inch)));
        self
    }

    /// With one line more.
    pub(crate) fn more(mut self, more: String) -> Self {
        self.more = Some(more);
        self
    }

    /// With the sentence of its working.
    pub(crate) fn says(mut self, sentence: impl Into<String>) -> Self {
        self.working.text = sentence.into();
        self
    }

    /// With its formula, in letters and in numbers.
    pub(crate) fn formula(mut self, formula: &str, numbers: Numbers) -> Self {
        self.working.formula = formula.to_owned();
        self.working.numbers = numbers.into_text();
        self
    }

    /// With what is assumed, how far off it may be, and its source.
    pub(crate) fn assumes(
        mut self,
        assumption: impl Into<String>,
        spread: impl Into<String>,
        source: &str,
    ) -> Self {
        self.working.assumption = assumption.into();
        self.working.spread = spread.into();
        self.working.source = source.to_owned();
        self
    }
}
