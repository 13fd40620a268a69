//! The texts: all of them on one page, and none of them left in the code.

use std::fmt::Write as _;
use std::path::{Path, PathBuf};

use anyhow::{Context as _, Result, bail};
use syn::visit::{self, Visit};

/// Every text of the program and of its pages, room by room, as one page to read from top to bottom. A value stands there by
/// its name in brackets, a choice between one and several with both.
pub fn page(root: &Path) -> Result<String> {
    let mut page = String::new();
    for part in ["crates/text/en", "web/src/text/en"] {
        let folder = root.join(part);
        let mut catalogues: Vec<PathBuf> =
            std::fs::read_dir(&folder)?.map(|entry| Ok(entry?.path())).collect::<Result<_>>()?;
        catalogues.sort();
        for catalogue in catalogues {
            let room = catalogue.file_stem().unwrap_or_default().to_string_lossy().into_owned();
            let _ = writeln!(page, "# {room}\n");
            page.push_str(&readable(&std::fs::read_to_string(&catalogue)?));
        }
    }
    Ok(page)
}

/// A catalogue as it is read: each text with its name behind it.
fn readable(catalogue: &str) -> String {
    let mut page = String::new();
    for line in catalogue.lines() {
        if let Some(heading) = line.strip_prefix("## ") {
            let _ = writeln!(page, "\n## {heading}\n");
        } else if let Some((name, text)) = line.split_once(" = ")
            && !name.starts_with(' ')
        {
            let _ = writeln!(page, "- {}  `{name}`", with_names(text));
        } else if line.starts_with(' ') {
            let _ = writeln!(page, "  {}", with_names(line.trim()));
        }
    }
    page.push('\n');
    page
}

/// `{ $tail } of it` as `[tail] of it`.
fn with_names(text: &str) -> String {
    let mut parts = text.split("{ ");
    let mut shown = parts.next().unwrap_or_default().to_owned();
    for part in parts {
        match part.split_once(" }") {
            Some((inside, after)) => {
                let inside = match inside.strip_prefix('$') {
                    Some(name) => format!("[{name}]"),
                    None => inside.trim_matches('"').to_owned(),
                };
                shown.push_str(&inside);
                shown.push_str(after);
            }
            None => shown.push_str(part),
        }
    }
    shown
}

/// Where words are read that people type, in as many languages as shops use: they are no texts of ours.
const READ: [&str; 19] = [
    "ask/answer.rs",
    "ask/chain.rs",
    "ask/fits.rs",
    "ask/mine.rs",
    "ask/page.rs",
    "ask/token.rs",
    "ask/tools.rs",
    "ask/trouble.rs",
    "ask/vocabulary.rs",
    "ask/wire_for.rs",
    "rack/listing/plain.rs",
    "rack/listing/read.rs",
    "rack/listing/vocabulary.rs",
    "reading/mod.rs",
    "reading/numbered.rs",
    "reading/rod.rs",
    "words/length.rs",
    "words/mass.rs",
    "words/mod.rs",
];
/// What compares or takes apart what was typed, or is no text for a person.
const TAKES_APART: [&str; 12] = [
    "starts_with",
    "ends_with",
    "contains",
    "strip_prefix",
    "strip_suffix",
    "trim_start_matches",
    "trim_end_matches",
    "find",
    "split",
    "split_once",
    "expecting",
    "strftime",
];
/// Fields of the tables that hold what people also call a thing.
const ALSO: [&str; 3] = ["also", "called", "sized_by"];

/// Fails where a sentence stands in the core outside of documentation, tests and the words it reads.
pub fn check(root: &Path) -> Result<()> {
    let core = root.join("crates/core/src");
    let mut found = vec![];
    for file in super::rooms::files(&core)? {
        let shown = file.strip_prefix(&core)?.to_owned();
        if READ.iter().any(|read| shown == Path::new(read)) {
            continue;
        }
        let source = std::fs::read_to_string(&file).with_context(|| file.display().to_string())?;
        let mut sentences = Sentences { file: shown, found: vec![] };
        sentences.visit_file(&syn::parse_file(&source)?);
        found.append(&mut sentences.found);
    }
    if found.is_empty() {
        return Ok(());
    }
    bail!("texts belong into crates/text/en; these stand in the core:\n{}", found.join("\n"))
}

/// Two words beside each other are a sentence.
fn is_sentence(text: &str) -> bool {
    let word = |word: &str| word.len() > 1 && word.chars().all(|letter| letter.is_ascii_lowercase());
    let words: Vec<bool> = text.split(' ').map(|one| word(one.trim_matches(['.', ',', ':']))).collect();
    words.windows(2).any(|pair| pair[0] && pair[1])
}

struct Sentences {
    file: PathBuf,
    found: Vec<String>,
}

impl Sentences {
    fn see(&mut self, text: &str, line: usize) {
        if is_sentence(text) {
            self.found.push(format!("{}:{line}: {text}", self.file.display()));
        }
    }
}

fn is_test(attributes: &[syn::Attribute]) -> bool {
    attributes.iter().any(|one| {
        one.path().is_ident("cfg") && one.parse_args::<syn::Ident>().is_ok_and(|what| what == "test")
    })
}

impl<'ast> Visit<'ast> for Sentences {
    fn visit_attribute(&mut self, _: &'ast syn::Attribute) {}

    fn visit_pat(&mut self, _: &'ast syn::Pat) {}

    fn visit_item_mod(&mut self, module: &'ast syn::ItemMod) {
        if !is_test(&module.attrs) {
            visit::visit_item_mod(self, module);
        }
    }

    fn visit_item_fn(&mut self, function: &'ast syn::ItemFn) {
        // What a thing is also called, in tables of its own.
        if function.sig.ident != "called" {
            visit::visit_item_fn(self, function);
        }
    }

    fn visit_impl_item_fn(&mut self, function: &'ast syn::ImplItemFn) {
        if function.sig.ident != "called" && function.sig.ident != "schema" {
            visit::visit_impl_item_fn(self, function);
        }
    }

    fn visit_field_value(&mut self, field: &'ast syn::FieldValue) {
        let also = matches!(&field.member, syn::Member::Named(name) if ALSO.iter().any(|one| name == one));
        if !also {
            visit::visit_field_value(self, field);
        }
    }

    fn visit_expr_binary(&mut self, binary: &'ast syn::ExprBinary) {
        // What was typed is compared with.
        if !matches!(binary.op, syn::BinOp::Eq(_) | syn::BinOp::Ne(_)) {
            visit::visit_expr_binary(self, binary);
        }
    }

    fn visit_expr_method_call(&mut self, call: &'ast syn::ExprMethodCall) {
        self.visit_expr(&call.receiver);
        if !TAKES_APART.iter().any(|name| call.method == name) {
            call.args.iter().for_each(|argument| self.visit_expr(argument));
        }
    }

    fn visit_macro(&mut self, called: &'ast syn::Macro) {
        let name = called.path.segments.last().map(|last| last.ident.to_string()).unwrap_or_default();
        if !matches!(name.as_str(), "format" | "write" | "vec" | "concat") {
            return;
        }
        for token in called.tokens.clone() {
            if let proc_macro2::TokenTree::Literal(literal) = token
                && let syn::Lit::Str(text) = syn::Lit::new(literal)
            {
                self.see(&text.value(), text.span().start().line);
            }
        }
    }

    fn visit_lit_str(&mut self, text: &'ast syn::LitStr) {
        self.see(&text.value(), text.span().start().line);
    }
}

#[cfg(test)]
mod tests {
    use super::{is_sentence, with_names};

    #[test]
    fn a_sentence_is_told_from_a_name() {
        assert!(is_sentence("bend it over"));
        assert!(is_sentence("Cut 12 pieces of it."));
        assert!(!is_sentence("ring-inside") && !is_sentence("mm") && !is_sentence("{gap}{}"));
    }

    #[test]
    fn values_stand_there_by_their_names() {
        assert_eq!(with_names("{ \" \" }Put { $tail } of the end"), " Put [tail] of the end");
        let several = "count-ring = { $n ->\n    [one] { $n } ring\n   *[other] { $n } rings\n}";
        assert!(super::readable(several).contains("*[other] [n] rings"));
    }
}
