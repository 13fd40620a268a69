//! Reading and writing: enumerations whose values are words of the trade, numbers, gauges, lengths,
//! and the phrases a sentence is made of.

pub mod date;
pub mod gauge;
pub mod length;
pub mod mass;
pub mod number;
pub mod scale;
pub mod sentence;

use lorimant_text::text;
use std::fmt;

use winnow::ModalResult;
use winnow::error::{ContextError, ErrMode};

/// A word that is not one of those a value can take.
///
/// The sentence names the word as typed, suggests the closest known one and lists the rest.
#[derive(Debug, Clone, PartialEq, Eq, thiserror::Error)]
#[error("{}", self.sentence())]
pub struct UnknownWord {
    noun: &'static str,
    word: String,
    known: Vec<&'static str>,
}

impl UnknownWord {
    pub(crate) fn new(noun: &'static str, word: &str, known: Vec<&'static str>) -> Self {
        Self { noun, word: word.to_owned(), known }
    }

    fn sentence(&self) -> String {
        unknown(self.noun, &self.word, &self.known)
    }
}

/// Several things in a row: `6.5 mm, 20 mm and 34.5 mm`.
///
/// ```
/// use lorimant_core::words::listed;
///
/// assert_eq!(listed(&["one".to_owned(), "two".to_owned(), "three".to_owned()]), "one, two and three");
/// ```
#[must_use]
pub fn listed(items: &[String]) -> String {
    match items {
        [] => String::new(),
        [one] => one.clone(),
        [before @ .., last] => text!("words-and", before = before.join(", "), last),
    }
}

/// A phrase with a capital first letter.
///
/// ```
/// assert_eq!(lorimant_core::words::capital("ear wires"), "Ear wires");
/// ```
#[must_use]
pub fn capital(text: &str) -> String {
    let mut letters = text.chars();
    letters.next().map_or_else(String::new, |first| first.to_uppercase().chain(letters).collect())
}

/// What a person typed, in quotation marks, cut off where it is longer than a sentence can carry.
///
/// ```
/// assert_eq!(lorimant_core::words::quoted(" 5 parsecs "), "“5 parsecs”");
/// ```
#[must_use]
pub fn quoted(typed: &str) -> String {
    const MOST: usize = 40;
    let typed = typed.trim();
    let more = if typed.chars().count() > MOST { "…" } else { "" };
    format!("“{}{more}”", typed.chars().take(MOST).collect::<String>())
}

/// The sentence for a word that is not one of those known: the word, the closest known one, the rest.
///
/// ```
/// let said = lorimant_core::words::unknown("metal", "coper", &["brass", "copper"]);
/// assert_eq!(said, "“coper” is not a known metal. Did you mean “copper”? Known: brass, copper.");
/// ```
#[must_use]
pub fn unknown(noun: &str, typed: &str, known: &[&str]) -> String {
    let hint = did_you_mean(typed, known.iter().copied());
    text!("words-not-known-known", typed = quoted(typed), noun, hint, known = known.join(", "))
}

/// ` Did you mean “copper”?` for a word near a known one, with its leading space; otherwise nothing.
pub(crate) fn did_you_mean<'a>(typed: &str, known: impl Iterator<Item = &'a str>) -> String {
    closest(typed.trim(), known).map_or_else(String::new, |word| text!("words-did-you-mean", word))
}

/// A parser's word that something else stands there.
pub(crate) fn backtrack() -> ErrMode<ContextError> {
    ErrMode::Backtrack(ContextError::new())
}

/// The longest of some words that stands whole at the head of `input`.
pub(crate) fn any_of(words: &'static [&'static str]) -> impl FnMut(&mut &str) -> ModalResult<&'static str> {
    move |input| {
        let whole = |word: &&&str| {
            let rest = input.strip_prefix(**word);
            rest.is_some_and(|rest| !rest.starts_with(char::is_alphanumeric))
        };
        let word = words.iter().filter(whole).max_by_key(|word| word.len()).ok_or_else(backtrack)?;
        *input = &input[word.len()..];
        Ok(word)
    }
}

/// Succeeds where no letter or digit follows, so that `m` is not read out of `mandrel`.
pub(crate) fn word_end(input: &mut &str) -> ModalResult<()> {
    if input.starts_with(char::is_alphanumeric) { Err(backtrack()) } else { Ok(()) }
}

/// The known word closest to a mistyped one, if any is close enough to be meant.
///
/// ```
/// use lorimant_core::words::closest;
///
/// assert_eq!(closest("coper", ["brass", "copper"].into_iter()), Some("copper"));
/// assert_eq!(closest("wood", ["brass", "copper"].into_iter()), None);
/// ```
pub fn closest<'a>(word: &str, known: impl Iterator<Item = &'a str>) -> Option<&'a str> {
    let word = word.to_lowercase();
    known
        .map(|candidate| (strsim::jaro_winkler(&word, candidate), candidate))
        .filter(|(likeness, _)| *likeness > 0.84)
        .max_by(|a, b| a.0.total_cmp(&b.0))
        .map(|(_, candidate)| candidate)
}

/// Reads a string through [`std::str::FromStr`], so that a wrong word keeps its own sentence.
pub(crate) struct WordVisitor<T>(pub std::marker::PhantomData<T>, pub &'static str);

impl<T> serde::de::Visitor<'_> for WordVisitor<T>
where
    T: std::str::FromStr<Err = UnknownWord>,
{
    type Value = T;

    fn expecting(&self, f: &mut fmt::Formatter) -> fmt::Result {
        write!(f, "the name of a {}", self.1)
    }

    fn visit_str<E: serde::de::Error>(self, word: &str) -> Result<T, E> {
        word.parse().map_err(E::custom)
    }
}

/// Declares an enumeration by its words: each variant has the kebab-case word it travels as. `$names` begins the names of
/// its texts: of the whole list, and with the word after it of each variant. A number of a saw blade needs none: it is
/// shown as it travels.
macro_rules! words {
    (
        $(#[$meta:meta])*
        pub enum $Name:ident ($names:literal) {
            $($(#[$vmeta:meta])* $Variant:ident = $word:literal;)+
        }
    ) => {
        $(#[$meta])*
        #[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, PartialOrd, Ord, serde::Serialize)]
        pub enum $Name {
            $($(#[$vmeta])* #[serde(rename = $word)] $Variant,)+
        }

        #[cfg(feature = "schema")]
        impl utoipa::PartialSchema for $Name {
            fn schema() -> utoipa::openapi::RefOr<utoipa::openapi::schema::Schema> {
                utoipa::openapi::schema::ObjectBuilder::new()
                    .schema_type(utoipa::openapi::schema::Type::String)
                    .enum_values(Some([$($word),+]))
                    .description(Some(concat!("A word of the list ", $names, ".")))
                    .into()
            }
        }

        #[cfg(feature = "schema")]
        impl utoipa::ToSchema for $Name {}

        impl $Name {
            /// Every value, in the order people list them.
            pub const ALL: &'static [Self] = &[$(Self::$Variant),+];

            /// The kebab-case word this value travels as.
            pub fn word(self) -> &'static str {
                match self { $(Self::$Variant => $word),+ }
            }

            /// The name a person reads.
            pub fn shown(self) -> &'static str {
                match self { $(Self::$Variant => lorimant_text::plain_or(concat!($names, "-", $word), $word)),+ }
            }
        }

        impl std::str::FromStr for $Name {
            type Err = $crate::words::UnknownWord;

            fn from_str(word: &str) -> Result<Self, Self::Err> {
                match word {
                    $($word => Ok(Self::$Variant),)+
                    _ => Err($crate::words::UnknownWord::new(lorimant_text::plain($names), word, vec![$($word),+])),
                }
            }
        }

        impl std::fmt::Display for $Name {
            fn fmt(&self, f: &mut std::fmt::Formatter) -> std::fmt::Result {
                f.write_str(self.shown())
            }
        }

        impl<'de> serde::Deserialize<'de> for $Name {
            fn deserialize<D: serde::Deserializer<'de>>(from: D) -> Result<Self, D::Error> {
                from.deserialize_str($crate::words::WordVisitor(std::marker::PhantomData, lorimant_text::plain($names)))
            }
        }
    };
}
pub(crate) use words;
