//! What is wrong with an input: where, with which value, and what would be right.

use std::fmt;

use serde::{Deserialize, Serialize};

use crate::words::gauge::MM_PER_INCH;
use crate::words::length::shown;
use lorimant_text::{Text, text};

/// One thing wrong, at one field.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Fault {
    /// Path of the field, for example `wire.size_mm`.
    pub field: String,
    /// A full sentence: what is wrong, with which value, what would be right.
    pub message: String,
    /// The limit that was passed, in the field's own unit, where there is one.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub limit: Option<f64>,
    /// The value that was probably meant, in the field's own unit, where there is one.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub suggested: Option<f64>,
}

impl Fault {
    /// A fault at `field`, without a numeric limit.
    pub fn new(field: impl Into<String>, sentence: impl Into<String>) -> Self {
        Self { field: field.into(), message: sentence.into(), limit: None, suggested: None }
    }

    /// The same fault with the limit that was passed.
    #[must_use]
    pub fn limit(mut self, limit: f64) -> Self {
        self.limit = Some(limit);
        self
    }

    /// The same fault with the value that was probably meant.
    #[must_use]
    pub fn suggest(mut self, value: f64) -> Self {
        self.suggested = Some(value);
        self
    }

    /// The same fault seen from a larger record: `wire` before `size_mm` makes `wire.size_mm`.
    ///
    /// ```
    /// use lorimant_core::fault::Fault;
    ///
    /// assert_eq!(Fault::new("size_mm", "It has no size.").within("wire").field, "wire.size_mm");
    /// ```
    #[must_use]
    pub fn within(mut self, outer: &str) -> Self {
        self.field = format!("{outer}.{}", self.field);
        self
    }
}

/// Everything wrong with one input.
///
/// Checks collect into it, so that a form can show every fault at once:
///
/// ```
/// use lorimant_core::fault::{Fault, Faults};
///
/// let mut faults = Faults::none();
/// faults.nest("wire", Err::<(), _>(Fault::new("size_mm", "The wire has no size.")));
/// assert_eq!(faults.into_result().unwrap_err().0[0].field, "wire.size_mm");
/// ```
#[derive(Debug, Clone, PartialEq)]
pub struct Faults(pub Vec<Fault>);

impl Faults {
    /// Nothing wrong yet.
    #[must_use]
    pub fn none() -> Self {
        Self(vec![])
    }

    /// Adds one fault.
    pub fn add(&mut self, fault: Fault) {
        self.0.push(fault);
    }

    /// Adds the faults of `result`, if it has any, and hands on its value.
    ///
    /// ```
    /// use lorimant_core::fault::{Fault, Faults};
    ///
    /// let mut faults = Faults::none();
    /// assert_eq!(faults.keep(Ok::<_, Fault>(3)), Some(3));
    /// assert_eq!(faults.keep(Err::<i32, _>(Fault::new("n", "No."))), None);
    /// assert_eq!(faults.0.len(), 1);
    /// ```
    pub fn keep<T>(&mut self, result: Result<T, impl Into<Self>>) -> Option<T> {
        result.map_err(|found| self.0.extend(found.into().0)).ok()
    }

    /// The same for a part of the record: `wire` before `size_mm` makes `wire.size_mm`.
    pub fn nest<T>(&mut self, outer: &str, result: Result<T, impl Into<Self>>) -> Option<T> {
        self.keep(result.map_err(|found| found.into().within(outer)))
    }

    /// The same faults seen from a larger record, each as [`Fault::within`].
    #[must_use]
    pub fn within(self, outer: &str) -> Self {
        Self(self.0.into_iter().map(|fault| fault.within(outer)).collect())
    }

    /// Whether nothing is wrong.
    #[must_use]
    pub fn is_empty(&self) -> bool {
        self.0.is_empty()
    }

    /// Nothing where nothing is wrong, otherwise all of it.
    ///
    /// # Errors
    /// Itself, where there is a fault in it.
    pub fn into_result(self) -> Result<(), Self> {
        if self.is_empty() { Ok(()) } else { Err(self) }
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
            write!(f, "{gap}{}", fault.message)?;
        }
        Ok(())
    }
}

impl std::error::Error for Faults {}

/// Whether a sign is none a text is made of: it is not to be seen, or makes others read what is not written. Signs that
/// join letters of some scripts are part of their texts.
fn is_no_letter(sign: char) -> bool {
    let line = matches!(sign, '\n' | '\t' | '\r');
    let turned = matches!(sign, '\u{202a}'..='\u{202e}' | '\u{2066}'..='\u{2069}');
    let unseen = matches!(
        sign,
        '\u{ad}' | '\u{200b}' | '\u{2028}' | '\u{2029}' | '\u{2060}'..='\u{2064}' | '\u{feff}'
    );
    let none = u32::from(sign) & 0xfffe == 0xfffe
        || matches!(sign, '\u{fdd0}'..='\u{fdef}' | '\u{fff9}'..='\u{fffd}');
    sign.is_control() && !line || turned || unseen || none
}

/// Refuses a text of more than `most` characters, and one with signs that cannot be seen.
///
/// # Errors
/// A fault at `field` that says how long it is and how long it may be, or which sign it holds.
///
/// ```
/// use lorimant_core::fault::check_text;
///
/// let fault = check_text("note", "note", "too long", 3).unwrap_err();
/// assert_eq!(fault.message, "The note is 8 characters long. Use at most 3.");
/// let fault = check_text("note", "note", "cod\u{202e}e", 30).unwrap_err();
/// assert!(fault.message.starts_with("The note contains an invisible character (U+202E)."));
/// ```
pub fn check_text(field: &str, noun: &str, text: &str, most: u32) -> Result<(), Fault> {
    if let Some(sign) = text.chars().find(|sign| is_no_letter(*sign)) {
        let code = format!("{:04X}", u32::from(sign));
        let message = text!("fault-invisible-character", noun, code);
        return Err(Fault::new(field, message));
    }
    let length = text.chars().count();
    if length <= most as usize {
        return Ok(());
    }
    let message = text!("fault-characters-long-use-at-most", noun, length, most);
    Err(Fault::new(field, message).limit(f64::from(most)))
}

/// The unit of a [`Span`] of turns.
pub const TURNS: &str = " turns";

/// A number's allowed span, closed at both ends, with the words for its error.
pub struct Span {
    /// What the number is.
    pub noun: Text,
    /// Its unit as it stands behind the number, with its space; [`TURNS`] is put into words.
    pub unit: &'static str,
    /// Least it may be, in the unit.
    pub least: f64,
    /// Most it may be, in the unit.
    pub most: f64,
}

impl Span {
    /// The value itself when it lies in the span.
    ///
    /// ```
    /// use lorimant_core::fault::Span;
    /// use lorimant_text::Text;
    ///
    /// const TAIL: Span = Span { noun: Text::named("ring-tail"), unit: " mm", least: 0.0, most: 50.0 };
    /// assert_eq!(TAIL.check("tail_mm", 12.0), Ok(12.0));
    /// let long = TAIL.check("tail_mm", 80.0).unwrap_err();
    /// assert_eq!(long.message, "The tail of 80 mm is too large. It can be from 0 to 50 mm (0 to 1.969 in).");
    /// assert_eq!(long.limit, Some(50.0));
    /// ```
    ///
    /// # Errors
    /// A fault at `field` that says what is wrong with the value and what it can be.
    pub fn check(&self, field: &str, value: f64) -> Result<f64, Fault> {
        let Self { noun, unit, least, most } = self;
        let inches = if *unit == " mm" {
            let inch = |mm: f64| shown(mm / MM_PER_INCH, if mm < 1000.0 { 3 } else { 0 });
            text!("fault-in", least = inch(*least), most = inch(*most))
        } else {
            String::new()
        };
        let one = value == 1.0;
        let of_it = if *unit == TURNS { text!("fault-turns", one) } else { (*unit).to_owned() };
        let unit = if *unit == TURNS { text!("fault-turns", one = false) } else { (*unit).to_owned() };
        let right = text!("fault-can-be-from", least, most, unit, inches);
        if !value.is_finite() {
            Err(Fault::new(field, text!("fault-not-number", noun, right)))
        } else if value < 0.0 && *least >= 0.0 {
            let message = text!("fault-negative", noun, value, unit, right);
            Err(Fault::new(field, message).limit(*least))
        } else if value == 0.0 && *least > 0.0 {
            Err(Fault::new(field, text!("fault-zero", noun, right)).limit(*least))
        } else if value < *least {
            let message = text!("fault-too-small", noun, value, of_it, right);
            Err(Fault::new(field, message).limit(*least))
        } else if value > *most {
            let message = text!("fault-too-large", noun, value, of_it, right);
            Err(Fault::new(field, message).limit(*most))
        } else {
            Ok(value)
        }
    }
}
