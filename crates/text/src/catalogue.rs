//! The catalogues, read.

use std::borrow::Cow;
use std::collections::HashMap;

use fluent_bundle::concurrent::FluentBundle;
use fluent_bundle::{FluentArgs, FluentResource, FluentValue};
use fluent_syntax::ast::{Entry, PatternElement};
use unic_langid::langid;

use crate::{Language, Value};

/// The English catalogues by their rooms: each file as it stands.
pub const ENGLISH: &[(&str, &str)] = &[
    ("api", include_str!("../en/api.ftl")),
    ("ask", include_str!("../en/ask.ftl")),
    ("bench", include_str!("../en/bench.ftl")),
    ("chain", include_str!("../en/chain.ftl")),
    ("file", include_str!("../en/file.ftl")),
    ("learn", include_str!("../en/learn.ftl")),
    ("making", include_str!("../en/making.ftl")),
    ("order", include_str!("../en/order.ftl")),
    ("paper", include_str!("../en/paper.ftl")),
    ("pattern", include_str!("../en/pattern.ftl")),
    ("piece", include_str!("../en/piece.ftl")),
    ("rack", include_str!("../en/rack.ftl")),
    ("reading", include_str!("../en/reading.ftl")),
    ("ring", include_str!("../en/ring.ftl")),
    ("shape", include_str!("../en/shape.ftl")),
    ("shared", include_str!("../en/shared.ftl")),
    ("tool", include_str!("../en/tool.ftl")),
    ("wire", include_str!("../en/wire.ftl")),
    ("words", include_str!("../en/words.ftl")),
];

/// Every text of a language.
pub(crate) struct Catalogue {
    bundle: FluentBundle<FluentResource>,
    /// Those that hold no values, as they are read.
    plain: HashMap<String, &'static str>,
}

impl Catalogue {
    /// Reads the catalogues of a language. What of them cannot be read is left out: a test keeps it from happening.
    pub fn of(language: Language) -> Self {
        let mut bundle = FluentBundle::new_concurrent(vec![langid!("en")]);
        // No marks for scripts written the other way: the texts go to paper and to other programs as well.
        bundle.set_use_isolating(false);
        if language == Language::Pseudo {
            bundle.set_transform(Some(other_letters));
        }
        let mut names = vec![];
        for (_, source) in ENGLISH {
            let resource = match FluentResource::try_new((*source).to_owned()) {
                Ok(resource) | Err((resource, _)) => resource,
            };
            for entry in resource.entries() {
                if let Entry::Message(message) = entry
                    && let Some(pattern) = &message.value
                    && pattern.elements.iter().all(|element| !holds_values(element))
                {
                    names.push(message.id.name.to_owned());
                }
            }
            bundle.add_resource_overriding(resource);
        }
        let mut plain = HashMap::new();
        for name in names {
            let Some(pattern) = bundle.get_message(&name).and_then(|message| message.value()) else {
                continue;
            };
            let text = bundle.format_pattern(pattern, None, &mut vec![]).into_owned();
            plain.insert(name, &*Box::leak(text.into_boxed_str()));
        }
        Self { bundle, plain }
    }

    pub fn plain(&self, name: &str) -> Option<&'static str> {
        self.plain.get(name).copied()
    }

    pub fn say(&self, name: &str, values: &[(&str, Value<'_>)]) -> Option<String> {
        let pattern = self.bundle.get_message(name)?.value()?;
        let mut given = FluentArgs::with_capacity(values.len());
        for (name, value) in values {
            given.set(
                *name,
                match value {
                    Value::Number(number) => FluentValue::from(*number),
                    Value::Shown(shown) => FluentValue::from(shown.to_string()),
                },
            );
        }
        Some(self.bundle.format_pattern(pattern, Some(&given), &mut vec![]).into_owned())
    }
}

/// Whether a part of a text is more than words: anything but a string that stands for itself, as `{ " " }` does.
fn holds_values(element: &PatternElement<&str>) -> bool {
    use fluent_syntax::ast::{Expression, InlineExpression};
    match element {
        PatternElement::TextElement { .. } => false,
        PatternElement::Placeable { expression } => {
            !matches!(expression, Expression::Inline(InlineExpression::StringLiteral { .. }))
        }
    }
}

/// The same words in letters that nobody types.
fn other_letters(text: &str) -> Cow<'_, str> {
    const SMALL: [char; 26] = [
        'ȧ', 'ƀ', 'ƈ', 'ḓ', 'ḗ', 'ƒ', 'ɠ', 'ħ', 'ī', 'ĵ', 'ķ', 'ŀ', 'ḿ', 'ƞ', 'ǿ', 'ƥ', 'ɋ', 'ř', 'ş', 'ŧ',
        'ŭ', 'ṽ', 'ẇ', 'ẋ', 'ẏ', 'ẑ',
    ];
    const LARGE: [char; 26] = [
        'Ȧ', 'Ɓ', 'Ƈ', 'Ḓ', 'Ḗ', 'Ƒ', 'Ɠ', 'Ħ', 'Ī', 'Ĵ', 'Ķ', 'Ŀ', 'Ḿ', 'Ƞ', 'Ǿ', 'Ƥ', 'Ɋ', 'Ř', 'Ş', 'Ŧ',
        'Ŭ', 'Ṽ', 'Ẇ', 'Ẋ', 'Ẏ', 'Ẑ',
    ];
    let other = |letter: char| match letter {
        'a'..='z' => SMALL[letter as usize - 'a' as usize],
        'A'..='Z' => LARGE[letter as usize - 'A' as usize],
        _ => letter,
    };
    Cow::Owned(text.chars().map(other).collect())
}
