//! The catalogues and the code that names their texts agree, and the texts are such as a person would say aloud.
#![allow(clippy::unwrap_used, clippy::panic, missing_docs)]

use std::collections::{BTreeMap, BTreeSet};
use std::path::{Path, PathBuf};

use fluent_syntax::ast::{Entry, Expression, InlineExpression, Pattern, PatternElement};
use fluent_syntax::parser::parse;
use lorimant_text::ENGLISH;
use rstest::rstest;

/// A text's values by their names, and its words without them.
struct Message {
    values: BTreeSet<String>,
    words: String,
}

/// One program's catalogues with the code that names their texts.
struct Part {
    catalogues: Vec<(String, String)>,
    code: Vec<PathBuf>,
}

fn root() -> PathBuf {
    Path::new(env!("CARGO_MANIFEST_DIR")).join("../..").canonicalize().unwrap()
}

/// What the core and the server say.
fn program() -> Part {
    let catalogues =
        ENGLISH.iter().map(|(room, source)| ((*room).to_owned(), (*source).to_owned())).collect();
    Part { catalogues, code: ["crates/core/src", "crates/server/src"].map(|part| root().join(part)).to_vec() }
}

/// What the pages say.
fn pages() -> Part {
    let folder = root().join("web/src/text/en");
    let files = std::fs::read_dir(&folder).unwrap().map(|entry| entry.unwrap().path());
    let read = |path: PathBuf| (path.display().to_string(), std::fs::read_to_string(&path).unwrap());
    Part { catalogues: files.map(read).collect(), code: vec![root().join("web/src")] }
}

impl Part {
    fn catalogue(&self) -> BTreeMap<String, Message> {
        let mut all = BTreeMap::new();
        for (room, source) in &self.catalogues {
            let resource = parse(source.as_str()).unwrap_or_else(|(_, errors)| panic!("{room}: {errors:?}"));
            for entry in resource.body {
                let Entry::Message(message) = entry else { continue };
                let mut found = Message { values: BTreeSet::new(), words: String::new() };
                collect(&message.value.unwrap(), &mut found);
                let name = message.id.name.to_owned();
                assert!(all.insert(name.clone(), found).is_none(), "{room}: {name} stands twice");
            }
        }
        all
    }

    fn named(&self) -> Named {
        let mut found = Named::default();
        self.code.iter().for_each(|folder| walk(folder, &mut found));
        found
    }
}

fn collect(pattern: &Pattern<&str>, into: &mut Message) {
    for element in &pattern.elements {
        match element {
            PatternElement::TextElement { value } => into.words.push_str(value),
            PatternElement::Placeable { expression } => match expression {
                Expression::Inline(inline) => collect_inline(inline, into),
                Expression::Select { selector, variants } => {
                    collect_inline(selector, into);
                    for variant in variants {
                        into.words.push(' ');
                        collect(&variant.value, into);
                    }
                }
            },
        }
    }
}

fn collect_inline(inline: &InlineExpression<&str>, into: &mut Message) {
    match inline {
        InlineExpression::VariableReference { id } => {
            into.values.insert(id.name.to_owned());
            into.words.push_str("{}");
        }
        InlineExpression::StringLiteral { value } => into.words.push_str(value),
        _ => panic!("a text holds words, values and choices between them, nothing else"),
    }
}

/// The texts that the code names: by `text!` with their values, by `Text::named` without, and by the lists of words.
#[derive(Default)]
struct Named {
    at: Vec<(String, String, BTreeSet<String>)>,
    lists: BTreeSet<String>,
}

fn walk(folder: &Path, found: &mut Named) {
    for entry in std::fs::read_dir(folder).unwrap() {
        let path = entry.unwrap().path();
        if path.is_dir() {
            walk(&path, found);
        } else if path.extension().is_some_and(|end| end == "rs" || end == "vue" || end == "ts") {
            read(&path.display().to_string(), &std::fs::read_to_string(&path).unwrap(), found);
        }
    }
}

fn read(file: &str, source: &str, found: &mut Named) {
    for begins in ["text!(", "Text::named(", "t("] {
        for (at, _) in source.match_indices(begins) {
            // Of a longer name it is only the end.
            if source[..at]
                .ends_with(|before: char| before.is_alphanumeric() || before == '_' || before == '.')
            {
                continue;
            }
            let inside = within_brackets(&source[at + begins.len()..]);
            let mut parts = parts(inside).into_iter();
            let Some(name) = parts.next().and_then(unquoted) else { continue };
            // Of a page they stand together in curly brackets.
            let inner: Vec<&str> = parts
                .flat_map(|part| match part.strip_prefix('{') {
                    Some(within) => self::parts(within.trim_end_matches('}')),
                    None => vec![part],
                })
                .collect();
            let values =
                inner.iter().map(|part| part.split(['=', ':']).next().unwrap().trim().to_owned()).collect();
            found.at.push((file.to_owned(), name, values));
        }
    }
    // A list of words names itself, and each of its words after its own name.
    for list in source.split("words! {").skip(1) {
        let Some((_, after)) = list.split_once("(\"") else { continue };
        let Some((name, body)) = after.split_once("\")") else { continue };
        found.lists.insert(name.to_owned());
        for line in body.split("\n    }").next().unwrap().lines() {
            if let Some((_, word)) = line.split_once(" = \"") {
                found.lists.insert(format!("{name}-{}", word.split('"').next().unwrap().replace('.', "-")));
            }
        }
    }
}

fn unquoted(name: &str) -> Option<String> {
    let quote = name.chars().next().filter(|first| ['"', '\''].contains(first))?;
    let name = name.strip_prefix(quote)?.strip_suffix(quote)?;
    let is_name = |letter: char| letter.is_ascii_alphanumeric() || letter == '-';
    name.chars().all(is_name).then(|| name.to_owned())
}

/// What stands up to the bracket that closes.
fn within_brackets(text: &str) -> &str {
    let (mut depth, mut quoted, mut escaped) = (1, false, false);
    for (at, letter) in text.char_indices() {
        match letter {
            _ if escaped => escaped = false,
            '\\' if quoted => escaped = true,
            '"' => quoted = !quoted,
            '(' | '[' | '{' if !quoted => depth += 1,
            ')' | ']' | '}' if !quoted => depth -= 1,
            _ => {}
        }
        if depth == 0 {
            return &text[..at];
        }
    }
    text
}

/// What commas part, outside of brackets and quotation marks.
fn parts(text: &str) -> Vec<&str> {
    let (mut depth, mut quoted, mut escaped, mut from, mut parts) = (0, false, false, 0, vec![]);
    for (at, letter) in text.char_indices() {
        match letter {
            _ if escaped => escaped = false,
            '\\' if quoted => escaped = true,
            '"' => quoted = !quoted,
            '(' | '[' | '{' if !quoted => depth += 1,
            ')' | ']' | '}' if !quoted => depth -= 1,
            ',' if !quoted && depth == 0 => {
                parts.push(text[from..at].trim());
                from = at + 1;
            }
            _ => {}
        }
    }
    parts.push(text[from..].trim());
    parts.into_iter().filter(|part| !part.is_empty()).collect()
}

#[rstest]
#[case(program())]
#[case(pages())]
fn every_text_the_code_names_is_there_with_its_values(#[case] part: Part) {
    let catalogue = part.catalogue();
    let mut wrong = vec![];
    for (file, name, values) in part.named().at {
        match catalogue.get(&name) {
            None => wrong.push(format!("{file}: no catalogue has {name}")),
            Some(message) if message.values != values => {
                wrong.push(format!("{file}: {name} is given {values:?} and takes {:?}", message.values));
            }
            Some(_) => {}
        }
    }
    assert!(wrong.is_empty(), "{}", wrong.join("\n"));
}

#[test]
fn every_word_of_a_list_has_its_text() {
    let catalogue = program().catalogue();
    let named = program().named();
    // The number of a saw blade is the same in every language.
    let missing = |name: &&String| !catalogue.contains_key(*name) && !name.starts_with("blade-");
    let missing: Vec<&String> = named.lists.iter().filter(missing).collect();
    assert!(missing.is_empty(), "{missing:?}");
}

#[rstest]
#[case(program())]
#[case(pages())]
fn no_text_is_left_over(#[case] part: Part) {
    let named = part.named();
    let used: BTreeSet<&String> = named.at.iter().map(|(_, name, _)| name).chain(&named.lists).collect();
    let catalogue = part.catalogue();
    let unused: Vec<&String> = catalogue.keys().filter(|name| !used.contains(name)).collect();
    assert!(unused.is_empty(), "{unused:#?}");
}

/// Longest sentence, words.
const LONGEST: usize = 25;
/// Words of a private dialect, each with what a maker says.
const DIALECT: [(&str, &str); 11] = [
    ("reckon", "calculate"),
    ("shut beforehand", "pre-closed"),
    ("survivor", "single piece"),
    ("put away", "archived, closed"),
    ("take over", "use"),
    ("keepings", "saved"),
    ("crown left round", "not hammered"),
    ("spoiled", "scrapped"),
    ("is none", "there is no"),
    ("stands twice", "is there twice"),
    ("bring in", "import"),
];

#[rstest]
#[case(program())]
#[case(pages())]
fn the_texts_are_plain_and_short(#[case] part: Part) {
    let mut wrong = vec![];
    for (name, message) in part.catalogue() {
        let lower = message.words.to_lowercase();
        for (dialect, plain) in DIALECT {
            if lower.contains(dialect) {
                wrong.push(format!("{name}: “{dialect}” is said “{plain}”"));
            }
        }
        for sentence in message.words.split_inclusive(['.', '?', '!', ';', ':']) {
            let words = sentence
                .split_whitespace()
                .filter(|word| word.contains(char::is_alphanumeric) || *word == "{}");
            let n = words.count();
            if n > LONGEST {
                wrong.push(format!("{name}: {n} words: {}", sentence.trim()));
            }
        }
    }
    assert!(wrong.is_empty(), "{}", wrong.join("\n"));
}

/// Sentences are in the catalogues: none stands in the core, but in what describes it to programmers.
#[test]
fn no_sentence_stands_in_the_core() {
    let mut found = vec![];
    let mut look = |file: &Path, source: &str| {
        for (n, line) in source.lines().enumerate() {
            let describes = ["//", "description", "reason = ", "#["].iter().any(|sign| line.contains(sign));
            if describes {
                continue;
            }
            for text in line.split('"').skip(1).step_by(2) {
                let mut letters = text.trim_start_matches('“').chars();
                let capital = letters.next().is_some_and(char::is_uppercase)
                    && letters.next().is_some_and(char::is_lowercase);
                if capital && text.split(' ').filter(|word| word.len() > 2).count() > 1 {
                    found.push(format!("{}:{}: {text}", file.display(), n + 1));
                }
            }
        }
    };
    let mut folders = vec![root().join("crates/core/src")];
    while let Some(folder) = folders.pop() {
        for entry in std::fs::read_dir(folder).unwrap() {
            match entry.unwrap().path() {
                path if path.is_dir() => folders.push(path),
                path => look(&path, &std::fs::read_to_string(&path).unwrap()),
            }
        }
    }
    assert!(found.is_empty(), "{}", found.join("\n"));
}
