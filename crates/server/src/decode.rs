//! Records read out of JSON and out of addresses, by deserializers whose error is our own: what does not fit is told apart
//! where serde finds it, and nothing has to be guessed from sentences of a library.

use std::fmt::{self, Display};

use lorimant_core::fault::Fault;
use lorimant_core::words::quoted;
use lorimant_text::text;
use serde::de::value::{MapAccessDeserializer, MapDeserializer, SeqDeserializer};
use serde::de::{DeserializeOwned, Deserializer, Error, Expected, IntoDeserializer, Unexpected, Visitor};
use serde::forward_to_deserialize_any;
use serde_json::Value;

/// What does not fit.
#[derive(Debug)]
pub(crate) enum DecodeError {
    /// A field nobody asked for.
    UnknownField { name: String, known: &'static [&'static str] },
    /// A word that is none of a list.
    UnknownWord { word: String, known: &'static [&'static str] },
    /// A field that has to be there.
    Missing(&'static str),
    /// A field that is there twice.
    Twice(&'static str),
    /// A value of another kind: what it is, and what it must be.
    OtherKind { got: String, wanted: String },
    /// A day, a time or a moment that cannot be read.
    NoTime,
    /// What a reader of ours says, in a sentence.
    Said(String),
}

impl DecodeError {
    fn other_kind(got: Unexpected<'_>, wanted: &dyn Expected) -> Self {
        Self::OtherKind { got: got_shown(got), wanted: wanted_shown(&wanted.to_string()) }
    }

    /// As a fault at the place it was found, which is empty for the whole.
    pub fn at(self, path: &str) -> Fault {
        let path = if path == "." { "" } else { path };
        let inside = |name: &str| match path {
            "" => name.to_owned(),
            // The path ends at the field itself where the reader had already stepped into it.
            there if there == name || there.ends_with(&format!(".{name}")) => there.to_owned(),
            outer => format!("{outer}.{name}"),
        };
        match self {
            Self::UnknownField { name, known } => {
                Fault::new(inside(&name), text!("api-decode-unknown-field", name, known = known.join(", ")))
            }
            Self::UnknownWord { word, known } => Fault::new(
                path,
                text!("api-decode-unknown-word", word = quoted(&word), known = known.join(", ")),
            ),
            Self::Missing(name) => Fault::new(inside(name), text!("api-decode-missing", name)),
            Self::Twice(name) => Fault::new(inside(name), text!("api-decode-twice", name)),
            Self::OtherKind { got, wanted } => Fault::new(path, text!("api-decode-other-kind", got, wanted)),
            Self::NoTime => Fault::new(path, text!("api-decode-no-time")),
            Self::Said(message) => {
                let full_stop = if message.ends_with('.') { "" } else { "." };
                Fault::new(path, format!("{message}{full_stop}"))
            }
        }
    }
}

/// What was sent, in a word or two.
fn got_shown(got: Unexpected<'_>) -> String {
    match got {
        Unexpected::Bool(value) => value.to_string(),
        Unexpected::Unsigned(value) => text!("api-decode-the-number", value),
        Unexpected::Signed(value) => text!("api-decode-the-number", value),
        Unexpected::Float(value) => text!("api-decode-the-number", value),
        Unexpected::Str(value) => text!("api-decode-the-text", value = quoted(value)),
        Unexpected::Seq => text!("api-decode-a-list").to_owned(),
        Unexpected::Map => text!("api-decode-an-object").to_owned(),
        _ => text!("api-decode-nothing").to_owned(),
    }
}

/// What must be there, by the name serde has for it.
fn wanted_shown(wanted: &str) -> String {
    let shown = match wanted {
        "f64" | "f32" => text!("api-decode-number"),
        "u8" | "u16" | "u32" | "u64" | "usize" => text!("api-decode-whole-number-from-0"),
        "i8" | "i16" | "i32" | "i64" | "isize" => text!("api-decode-whole-number"),
        "a string" => text!("api-decode-text"),
        "a boolean" => text!("api-decode-true-or-false"),
        "a sequence" => text!("api-decode-a-list"),
        struct_of if struct_of.starts_with("struct ") => text!("api-decode-object-with-named-fields"),
        // A reader of ours says itself what it reads.
        other => return other.to_owned(),
    };
    shown.to_owned()
}

impl Display for DecodeError {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        write!(f, "{self:?}")
    }
}

impl std::error::Error for DecodeError {}

impl Error for DecodeError {
    fn custom<T: Display>(message: T) -> Self {
        /// What was sent is repeated as far as a sentence carries.
        const CARRIES: usize = 300;
        // Its reader says it in its own words.
        if std::any::type_name::<T>().starts_with("jiff::") {
            return Self::NoTime;
        }
        let message = message.to_string();
        let shorter: String = message.chars().take(CARRIES).collect();
        Self::Said(if shorter.len() < message.len() { format!("{shorter}…") } else { message })
    }

    fn invalid_type(got: Unexpected<'_>, wanted: &dyn Expected) -> Self {
        Self::other_kind(got, wanted)
    }

    fn invalid_value(got: Unexpected<'_>, wanted: &dyn Expected) -> Self {
        Self::other_kind(got, wanted)
    }

    fn unknown_field(name: &str, known: &'static [&'static str]) -> Self {
        Self::UnknownField { name: name.chars().take(60).collect(), known }
    }

    fn unknown_variant(word: &str, known: &'static [&'static str]) -> Self {
        Self::UnknownWord { word: word.to_owned(), known }
    }

    fn missing_field(name: &'static str) -> Self {
        Self::Missing(name)
    }

    fn duplicate_field(name: &'static str) -> Self {
        Self::Twice(name)
    }
}

/// Reads a record out of JSON that is parsed already.
///
/// # Errors
/// A fault at the field that does not fit.
pub(crate) fn json<T: DeserializeOwned>(value: &Value) -> Result<T, Fault> {
    fit(Json(value))
}

/// Reads a record out of the pairs of an address.
///
/// # Errors
/// A fault at the field that does not fit.
pub(crate) fn pairs<T: DeserializeOwned>(pairs: &[(String, String)]) -> Result<T, Fault> {
    let fields = pairs.iter().map(|(name, typed)| (name.as_str(), Typed(typed)));
    fit(MapDeserializer::new(fields))
}

fn fit<'de, T: DeserializeOwned>(from: impl Deserializer<'de, Error = DecodeError>) -> Result<T, Fault> {
    serde_path_to_error::deserialize(from).map_err(|error| {
        let path = error.path().to_string();
        error.into_inner().at(&path)
    })
}

/// A value of JSON.
#[derive(Clone, Copy)]
struct Json<'de>(&'de Value);

impl<'de> IntoDeserializer<'de, DecodeError> for Json<'de> {
    type Deserializer = Self;

    fn into_deserializer(self) -> Self {
        self
    }
}

impl<'de> Deserializer<'de> for Json<'de> {
    type Error = DecodeError;

    fn deserialize_any<V: Visitor<'de>>(self, visitor: V) -> Result<V::Value, DecodeError> {
        match self.0 {
            Value::Null => visitor.visit_unit(),
            Value::Bool(value) => visitor.visit_bool(*value),
            Value::Number(number) => match (number.as_u64(), number.as_i64(), number.as_f64()) {
                (Some(value), ..) => visitor.visit_u64(value),
                (_, Some(value), _) => visitor.visit_i64(value),
                (.., value) => visitor.visit_f64(value.unwrap_or(f64::NAN)),
            },
            Value::String(text) => visitor.visit_borrowed_str(text),
            Value::Array(values) => {
                let mut list = SeqDeserializer::new(values.iter().map(Json));
                let read = visitor.visit_seq(&mut list)?;
                list.end()?;
                Ok(read)
            }
            Value::Object(fields) => {
                let mut fields =
                    MapDeserializer::new(fields.iter().map(|(name, value)| (name.as_str(), Json(value))));
                let read = visitor.visit_map(&mut fields)?;
                fields.end()?;
                Ok(read)
            }
        }
    }

    fn deserialize_option<V: Visitor<'de>>(self, visitor: V) -> Result<V::Value, DecodeError> {
        if self.0.is_null() { visitor.visit_none() } else { visitor.visit_some(self) }
    }

    fn deserialize_newtype_struct<V: Visitor<'de>>(
        self,
        _: &'static str,
        visitor: V,
    ) -> Result<V::Value, DecodeError> {
        visitor.visit_newtype_struct(self)
    }

    fn deserialize_enum<V: Visitor<'de>>(
        self,
        _: &'static str,
        _: &'static [&'static str],
        visitor: V,
    ) -> Result<V::Value, DecodeError> {
        match self.0 {
            Value::String(word) => visitor.visit_enum(word.as_str().into_deserializer()),
            Value::Object(fields) => {
                let fields = fields.iter().map(|(name, value)| (name.as_str(), Json(value)));
                visitor.visit_enum(MapAccessDeserializer::new(MapDeserializer::new(fields)))
            }
            _ => self.deserialize_any(visitor),
        }
    }

    forward_to_deserialize_any! {
        bool i8 i16 i32 i64 u8 u16 u32 u64 f32 f64 char str string bytes byte_buf unit unit_struct seq tuple tuple_struct
        map struct identifier ignored_any
    }
}

/// A value as it is typed in an address: a number or a yes is one where it is wanted.
#[derive(Clone, Copy)]
struct Typed<'de>(&'de str);

impl<'de> IntoDeserializer<'de, DecodeError> for Typed<'de> {
    type Deserializer = Self;

    fn into_deserializer(self) -> Self {
        self
    }
}

macro_rules! typed {
    ($($method:ident $visit:ident $of:ty),+) => {
        $(fn $method<V: Visitor<'de>>(self, visitor: V) -> Result<V::Value, DecodeError> {
            match self.0.parse::<$of>() {
                Ok(value) => visitor.$visit(value),
                Err(_) => Err(DecodeError::invalid_type(Unexpected::Str(self.0), &stringify!($of))),
            }
        })+
    };
}

impl<'de> Deserializer<'de> for Typed<'de> {
    type Error = DecodeError;

    typed! {
        deserialize_bool visit_bool bool, deserialize_u8 visit_u8 u8, deserialize_u16 visit_u16 u16,
        deserialize_u32 visit_u32 u32, deserialize_u64 visit_u64 u64, deserialize_i8 visit_i8 i8,
        deserialize_i16 visit_i16 i16, deserialize_i32 visit_i32 i32, deserialize_i64 visit_i64 i64,
        deserialize_f32 visit_f32 f32, deserialize_f64 visit_f64 f64
    }

    fn deserialize_any<V: Visitor<'de>>(self, visitor: V) -> Result<V::Value, DecodeError> {
        visitor.visit_borrowed_str(self.0)
    }

    fn deserialize_option<V: Visitor<'de>>(self, visitor: V) -> Result<V::Value, DecodeError> {
        visitor.visit_some(self)
    }

    fn deserialize_newtype_struct<V: Visitor<'de>>(
        self,
        _: &'static str,
        visitor: V,
    ) -> Result<V::Value, DecodeError> {
        visitor.visit_newtype_struct(self)
    }

    fn deserialize_enum<V: Visitor<'de>>(
        self,
        _: &'static str,
        _: &'static [&'static str],
        visitor: V,
    ) -> Result<V::Value, DecodeError> {
        visitor.visit_enum(self.0.into_deserializer())
    }

    forward_to_deserialize_any! {
        char str string bytes byte_buf unit unit_struct seq tuple tuple_struct map struct identifier ignored_any
    }
}

#[cfg(test)]
mod tests {
    #![allow(clippy::unwrap_used)]

    use rstest::rstest;
    use serde::Deserialize;
    use serde_json::{Value, json};

    use super::{json as read, pairs as read_pairs};

    #[derive(Debug, PartialEq, Deserialize)]
    #[serde(rename_all = "kebab-case")]
    enum Side {
        Left,
        Right,
    }

    #[derive(Debug, PartialEq, Deserialize)]
    #[serde(deny_unknown_fields)]
    struct Inner {
        mm: f64,
        side: Option<Side>,
    }

    #[derive(Debug, PartialEq, Deserialize)]
    #[serde(deny_unknown_fields)]
    struct Outer {
        n: u32,
        #[serde(default)]
        inner: Vec<Inner>,
    }

    #[test]
    fn what_fits_is_read() {
        let read: Outer =
            read(&json!({ "n": 3, "inner": [{ "mm": 1, "side": "left" }, { "mm": 0.5, "side": null }] }))
                .unwrap();
        let inner = vec![Inner { mm: 1.0, side: Some(Side::Left) }, Inner { mm: 0.5, side: None }];
        assert_eq!(read, Outer { n: 3, inner });
    }

    #[rstest]
    #[case(json!({}), "n", "“n” is missing.")]
    #[case(json!({ "n": 1, "m": 2 }), "m", "“m” is not a field here. Known: n, inner.")]
    #[case(json!({ "n": -1 }), "n", "This is the number -1. It must be a whole number, 0 or more.")]
    #[case(json!({ "n": "three" }), "n", "This is “three”. It must be a whole number, 0 or more.")]
    #[case(json!({ "n": 1, "inner": {} }), "inner", "This is an object. It must be a list.")]
    #[case(json!({ "n": 1, "inner": [{ "mm": null }] }), "inner[0].mm", "This is nothing. It must be a number.")]
    #[case(json!({ "n": 1, "inner": [{ "mm": 1, "side": "up" }] }), "inner[0].side", "“up” is not known here. Known: left, right.")]
    fn what_does_not_fit_is_said_at_its_place(#[case] sent: Value, #[case] field: &str, #[case] says: &str) {
        let fault = read::<Outer>(&sent).unwrap_err();
        assert_eq!((fault.field.as_str(), fault.message.as_str()), (field, says));
    }

    #[test]
    fn an_address_is_read_as_it_is_typed() {
        let pairs = |all: &[(&str, &str)]| -> Vec<(String, String)> {
            all.iter().map(|(name, typed)| ((*name).to_owned(), (*typed).to_owned())).collect()
        };
        let read: Inner = read_pairs(&pairs(&[("mm", "2.5"), ("side", "right")])).unwrap();
        assert_eq!(read, Inner { mm: 2.5, side: Some(Side::Right) });
        let fault = read_pairs::<Inner>(&pairs(&[("mm", "wide")])).unwrap_err();
        assert_eq!(
            (fault.field.as_str(), fault.message.as_str()),
            ("mm", "This is “wide”. It must be a number.")
        );
    }
}
