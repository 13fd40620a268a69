//! The texts a person reads. Each has a name, and stands in a catalogue of its room: `en/*.ftl`, in the syntax of Fluent.
//!
//! ```
//! use lorimant_text::text;
//!
//! assert_eq!(text!("count-ring", n = 1), "1 ring");
//! assert_eq!(text!("count-ring", n = 12), "12 rings");
//! ```
//!
//! That every name is in a catalogue, with the values it is given, and that no text is unused, is tested in
//! `tests/catalogues.rs`.

mod catalogue;

use std::fmt::Display;
use std::sync::{LazyLock, OnceLock};

use catalogue::Catalogue;
pub use catalogue::ENGLISH;

/// A language the program speaks.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default)]
pub enum Language {
    /// English.
    #[default]
    English,
    /// English with other letters: what is seen in plain ones is in no catalogue.
    Pseudo,
}

static SPOKEN: OnceLock<Language> = OnceLock::new();
static CATALOGUE: LazyLock<Catalogue> = LazyLock::new(|| Catalogue::of(spoken()));

/// Chooses the language of the whole program; gives whether that could still be done. It is chosen once, before the first
/// text is asked for.
pub fn speak(language: Language) -> bool {
    SPOKEN.set(language).is_ok()
}

/// The language of the whole program.
#[must_use]
pub fn spoken() -> Language {
    *SPOKEN.get_or_init(Language::default)
}

/// A text that holds no values, by its name; the name itself where no catalogue has it.
#[must_use]
pub fn plain(name: &'static str) -> &'static str {
    CATALOGUE.plain(name).unwrap_or(name)
}

/// A text that holds no values, by its name; another one where no catalogue has it. A point in the name, which Fluent does
/// not allow, stands there as a hyphen.
#[must_use]
pub fn plain_or(name: &str, otherwise: &'static str) -> &'static str {
    let found = CATALOGUE.plain(name);
    found.or_else(|| CATALOGUE.plain(&name.replace('.', "-"))).unwrap_or(otherwise)
}

/// A text with its values; its name where no catalogue has it. [`text!`] is shorter.
#[must_use]
pub fn say(name: &str, values: &[(&str, Value<'_>)]) -> String {
    CATALOGUE.say(name, values).unwrap_or_else(|| name.to_owned())
}

/// A text in a table that is written down once: its name, which is the text wherever one is wanted.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash)]
pub struct Text(&'static str);

impl Text {
    /// No text.
    pub const NONE: Self = Self("");

    /// The text of this name, which holds no values.
    #[must_use]
    pub const fn named(name: &'static str) -> Self {
        Self(name)
    }

    /// The text.
    #[must_use]
    pub fn as_str(self) -> &'static str {
        if self.0.is_empty() { "" } else { plain(self.0) }
    }
}

impl Default for Text {
    fn default() -> Self {
        Self::NONE
    }
}

impl std::ops::Deref for Text {
    type Target = str;

    fn deref(&self) -> &str {
        self.as_str()
    }
}

impl Display for Text {
    fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        f.pad(self.as_str())
    }
}

impl serde::Serialize for Text {
    fn serialize<S: serde::Serializer>(&self, to: S) -> Result<S::Ok, S::Error> {
        to.serialize_str(self.as_str())
    }
}

impl From<Text> for String {
    fn from(text: Text) -> Self {
        text.as_str().to_owned()
    }
}

/// A number with so many decimals.
///
/// ```
/// assert_eq!(lorimant_text::fixed(2.5, 2), "2.50");
/// ```
#[must_use]
pub fn fixed(value: impl Display, places: usize) -> String {
    format!("{value:.places$}")
}

/// A text by its name, with its values by theirs: `text!("anchor-thumb", tail)`, `text!("count-ring", n = rings_n)`.
///
/// Without values it is a `&'static str`, otherwise a `String`. A whole number stays a number, so that a catalogue can
/// choose between one and several by it; everything else is written as it displays itself.
#[macro_export]
macro_rules! text {
    ($name:literal) => { $crate::plain($name) };
    ($name:literal, $($value:ident $(= $of:expr)?),+ $(,)?) => {{
        #[allow(unused_imports)]
        use $crate::{AsNumber as _, AsShown as _};
        $crate::say($name, &[$((stringify!($value), $crate::value!($value $(, $of)?))),+])
    }};
}

/// One value of a [`text!`].
#[doc(hidden)]
#[macro_export]
macro_rules! value {
    ($value:ident) => {
        (&$crate::Shown(&$value)).value()
    };
    ($value:ident, $of:expr) => {
        (&$crate::Shown(&$of)).value()
    };
}

/// A value of a text: a whole number, by which it can choose between one and several, or anything that displays itself.
pub enum Value<'a> {
    /// A whole number.
    Number(i64),
    /// Anything else.
    Shown(&'a dyn Display),
}

/// What a [`text!`] is given.
#[doc(hidden)]
pub struct Shown<'a, T>(pub &'a T);

/// A whole number: found before [`AsShown`], which needs one more reference.
#[doc(hidden)]
pub trait AsNumber {
    /// It as a value.
    fn value(&self) -> Value<'_>;
}

/// Anything that displays itself.
#[doc(hidden)]
pub trait AsShown {
    /// It as a value.
    fn value(&self) -> Value<'_>;
}

macro_rules! numbers {
    ($($of:ty),+) => {
        $(impl AsNumber for Shown<'_, $of> {
            fn value(&self) -> Value<'_> {
                Value::Number(i64::try_from(*self.0).unwrap_or(i64::MAX))
            }
        }
        impl AsNumber for Shown<'_, &$of> {
            fn value(&self) -> Value<'_> {
                Value::Number(i64::try_from(**self.0).unwrap_or(i64::MAX))
            }
        })+
    };
}
numbers!(u8, u16, u32, u64, usize, i8, i16, i32, i64, isize);

impl<T: Display> AsShown for &Shown<'_, T> {
    fn value(&self) -> Value<'_> {
        Value::Shown(self.0)
    }
}
