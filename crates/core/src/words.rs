//! Enumerations whose values are words of the trade.

use std::fmt;

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
        let word = word.chars().take(40).collect();
        Self { noun, word, known }
    }

    fn sentence(&self) -> String {
        let closest = closest(&self.word, self.known.iter().copied());
        let hint = closest.map_or(String::new(), |word| format!(" Did you mean “{word}”?"));
        format!("“{}” is not a {} known here.{hint} Known: {}.", self.word, self.noun, self.known.join(", "))
    }
}

/// The known word closest to a mistyped one, if any is close enough to be meant.
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

/// Declares an enumeration by its words: each variant has the kebab-case word it travels as and
/// the name a person reads.
macro_rules! words {
    (
        $(#[$meta:meta])*
        pub enum $Name:ident ($noun:literal) {
            $($(#[$vmeta:meta])* $Variant:ident = $word:literal, $shown:literal;)+
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
                    .description(Some(concat!("The word for a ", $noun, ".")))
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
                match self { $(Self::$Variant => $shown),+ }
            }
        }

        impl std::str::FromStr for $Name {
            type Err = $crate::words::UnknownWord;

            fn from_str(word: &str) -> Result<Self, Self::Err> {
                match word {
                    $($word => Ok(Self::$Variant),)+
                    _ => Err($crate::words::UnknownWord::new($noun, word, vec![$($word),+])),
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
                from.deserialize_str($crate::words::WordVisitor(std::marker::PhantomData, $noun))
            }
        }
    };
}
pub(crate) use words;
