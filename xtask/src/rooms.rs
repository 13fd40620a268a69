//! The order of rooms: who may use whom. `rooms.txt` declares it, this holds the code to it.

use std::path::{Path, PathBuf};

use anyhow::{Context as _, Result, bail};
use syn::visit::{self, Visit};

const ROOMS: &str = include_str!("../rooms.txt");

/// One part of the project with its rooms, the top one first.
struct Part {
    folder: PathBuf,
    rooms: Vec<String>,
}

/// A use of a room that stands above the one it is used in.
#[derive(Debug, PartialEq)]
pub struct LooksUp {
    /// The file that looks up.
    pub file: PathBuf,
    /// What it uses, as a path of modules.
    pub uses: String,
    /// The room it stands in.
    pub room: String,
    /// The room above.
    pub above: String,
}

/// Fails where a file uses a room above its own, or stands in no room.
pub fn check(root: &Path) -> Result<()> {
    let mut found = vec![];
    for part in parts(ROOMS)? {
        let folder = root.join(&part.folder);
        for file in files(&folder)? {
            let text = std::fs::read_to_string(&file).with_context(|| file.display().to_string())?;
            let shown = file.strip_prefix(&folder)?.to_owned();
            found.extend(part.looks_up(&shown, &text)?);
        }
    }
    if found.is_empty() {
        return Ok(());
    }
    let lines: Vec<String> = found
        .iter()
        .map(|one| {
            format!(
                "{} (room {}) uses {}, in the room {} above it",
                one.file.display(),
                one.room,
                one.uses,
                one.above
            )
        })
        .collect();
    bail!("xtask/rooms.txt says who stands on whom; these look up:\n{}", lines.join("\n"))
}

fn parts(text: &str) -> Result<Vec<Part>> {
    let mut parts: Vec<Part> = vec![];
    for line in text.lines().map(str::trim).filter(|line| !line.is_empty() && !line.starts_with('#')) {
        if let Some(folder) = line.strip_prefix('[').and_then(|rest| rest.strip_suffix(']')) {
            parts.push(Part { folder: folder.into(), rooms: vec![] });
        } else {
            parts.last_mut().context("rooms.txt names a room before a part")?.rooms.push(line.to_owned());
        }
    }
    Ok(parts)
}

/// The sources under a folder; what is generated is nobody's room.
pub fn files(folder: &Path) -> Result<Vec<PathBuf>> {
    let mut found = vec![];
    for entry in std::fs::read_dir(folder).with_context(|| folder.display().to_string())? {
        let path = entry?.path();
        let source =
            path.extension().is_some_and(|ending| ["rs", "ts", "vue"].iter().any(|one| ending == *one));
        if path.is_dir() {
            found.extend(files(&path)?);
        } else if source && !path.ends_with("schema.d.ts") {
            found.push(path);
        }
    }
    found.sort();
    Ok(found)
}

impl Part {
    /// The place in the order of the room a path of modules lies in: the longest name it begins with.
    fn room(&self, path: &str) -> Option<usize> {
        let holds = |room: &String| path == room || path.starts_with(&format!("{room}::"));
        let rooms = self.rooms.iter().enumerate().filter(|(_, room)| holds(room));
        rooms.max_by_key(|(_, room)| room.len()).map(|(place, _)| place)
    }

    fn looks_up(&self, file: &Path, text: &str) -> Result<Vec<LooksUp>> {
        let module = module_of(file);
        let Some(own) = self.room(&module) else {
            bail!("{} stands in no room: give it one in xtask/rooms.txt", file.display());
        };
        let rust = file.extension().is_some_and(|ending| ending == "rs");
        let used = if rust { used_by_rust(&module, file, text)? } else { used_by_web(file, text) };
        let mut found = vec![];
        for path in used {
            // The root of a crate hands on what its rooms hold; what is no room comes from there.
            let Some(place) = self.room(&path) else { continue };
            if place < own {
                let name = |place: usize| self.rooms[place].clone();
                found.push(LooksUp {
                    file: file.to_owned(),
                    uses: path,
                    room: name(own),
                    above: name(place),
                });
            }
        }
        found.dedup();
        Ok(found)
    }
}

/// `rack/choose/mod.rs` is the module `rack::choose`; `lib.rs` is `lib`.
fn module_of(file: &Path) -> String {
    let path = file.with_extension("");
    let names: Vec<String> = path.iter().map(|name| name.to_string_lossy().into_owned()).collect();
    let names = match names.split_last() {
        Some((last, rest)) if last == "mod" => rest,
        _ => &names,
    };
    names.join("::")
}

/// Paths of modules a Rust file uses, from the crate's root.
fn used_by_rust(module: &str, file: &Path, text: &str) -> Result<Vec<String>> {
    let parsed = syn::parse_file(text).with_context(|| file.display().to_string())?;
    let mut uses = Uses { module: module.split("::").map(str::to_owned).collect(), paths: vec![] };
    uses.visit_file(&parsed);
    Ok(uses.paths)
}

struct Uses {
    module: Vec<String>,
    paths: Vec<String>,
}

impl Uses {
    fn add(&mut self, names: &[String]) {
        let mut base: Vec<String> = match names.first().map(String::as_str) {
            Some("crate") => vec![],
            Some("self") => self.module.clone(),
            Some("super") => self.module[..self.module.len().saturating_sub(1)].to_vec(),
            _ => return,
        };
        for name in &names[1..] {
            if name == "super" {
                base.pop();
            } else {
                base.push(name.clone());
            }
        }
        self.paths.push(base.join("::"));
    }

    fn tree(&mut self, before: &[String], tree: &syn::UseTree) {
        let with = |name: &syn::Ident| [before, &[name.to_string()]].concat();
        match tree {
            syn::UseTree::Path(path) => self.tree(&with(&path.ident), &path.tree),
            syn::UseTree::Name(name) if name.ident == "self" => self.add(before),
            syn::UseTree::Name(name) => self.add(&with(&name.ident)),
            syn::UseTree::Rename(rename) => self.add(&with(&rename.ident)),
            syn::UseTree::Glob(_) => self.add(before),
            syn::UseTree::Group(group) => group.items.iter().for_each(|item| self.tree(before, item)),
        }
    }
}

impl<'ast> Visit<'ast> for Uses {
    fn visit_item_use(&mut self, item: &'ast syn::ItemUse) {
        self.tree(&[], &item.tree);
    }

    /// `pub(super)` says who may look in, not where one looks.
    fn visit_visibility(&mut self, _: &'ast syn::Visibility) {}

    fn visit_path(&mut self, path: &'ast syn::Path) {
        let names: Vec<String> = path.segments.iter().map(|segment| segment.ident.to_string()).collect();
        self.add(&names);
        visit::visit_path(self, path);
    }

    fn visit_macro(&mut self, call: &'ast syn::Macro) {
        self.visit_path(&call.path);
        // What stands in a macro is no syntax yet: its words are taken as they are.
        let text = call.tokens.to_string().replace(" :: ", "::").replace(":: ", "::");
        for word in text.split(|c: char| !(c.is_alphanumeric() || c == '_' || c == ':')) {
            let names: Vec<String> = word.split("::").map(str::to_owned).collect();
            self.add(&names);
        }
    }
}

/// Folders a file of the front end imports from, as paths of modules.
fn used_by_web(file: &Path, text: &str) -> Vec<String> {
    let here = file.parent().unwrap_or_else(|| Path::new(""));
    let quoted = text.split(['\'', '"']).collect::<Vec<_>>();
    let imports = quoted.windows(2).filter(|pair| {
        let before = pair[0].trim_end();
        before.ends_with("from") || before.ends_with("import") || before.ends_with("import(")
    });
    let relative = imports.map(|pair| pair[1]).filter(|path| path.starts_with('.'));
    let resolved = relative.map(|path| {
        let mut names: Vec<String> = here.iter().map(|name| name.to_string_lossy().into_owned()).collect();
        for name in path.split('/') {
            match name {
                "." => {}
                ".." => drop(names.pop()),
                name => names.push(name.split('.').next().unwrap_or(name).to_owned()),
            }
        }
        names.join("::")
    });
    resolved.collect()
}

#[cfg(test)]
mod tests {
    use super::*;

    fn part() -> Part {
        let rooms = ["ask", "rack::cost", "rack::stock", "wire", "words::length", "words"];
        Part { folder: PathBuf::new(), rooms: rooms.map(str::to_owned).to_vec() }
    }

    fn above(file: &str, text: &str) -> Vec<String> {
        part().looks_up(Path::new(file), text).unwrap().into_iter().map(|one| one.above).collect()
    }

    #[test]
    fn looking_down_and_about_is_free() {
        let text = "use crate::words::length::shown; use super::scrap::Scrap; use std::fmt; fn f() { crate::wire::Wire::new() }";
        assert!(above("rack/stock/mod.rs", text).is_empty());
        assert!(above("ask/mod.rs", "use crate::{rack::cost::Cost, wire};").is_empty());
    }

    #[test]
    fn a_planted_upward_import_is_found_however_it_is_written() {
        assert_eq!(above("wire/mod.rs", "use crate::ask::answer;"), ["ask"]);
        assert_eq!(
            above("wire/mod.rs", "use crate::{words, rack::{stock::Lot, cost}};"),
            ["rack::stock", "rack::cost"]
        );
        assert_eq!(above("rack/stock/mod.rs", "use super::cost::Cost;"), ["rack::cost"]);
        assert_eq!(above("wire/metal.rs", "fn f() -> crate::ask::Answer { todo() }"), ["ask"]);
        assert_eq!(above("wire/metal.rs", "fn f() { format!(\"{}\", crate::ask::LONGEST) }"), ["ask"]);
        assert_eq!(
            above("words/mod.rs", "pub use length::shown; use self::length::Typed;"),
            ["words::length"]
        );
    }

    #[test]
    fn a_planted_upward_import_is_found_in_the_front_end() {
        let rooms = ["shell", "rack", "shared"].map(str::to_owned).to_vec();
        let part = Part { folder: PathBuf::new(), rooms };
        let up = |file: &str, text: &str| part.looks_up(Path::new(file), text).unwrap().len();
        assert_eq!(up("rack/stock/Lot.vue", "import { useWords } from '../../shared/words'"), 0);
        assert_eq!(up("shared/words.ts", "import Lot from '../rack/stock/Lot.vue'"), 1);
        assert_eq!(up("rack/Frame.vue", "const view = () => import('../shell/router')"), 1);
    }

    #[test]
    fn a_file_without_a_room_is_refused() {
        assert!(part().looks_up(Path::new("brooch.rs"), "").is_err());
    }

    #[test]
    fn every_room_that_is_declared_is_there() {
        let root = Path::new(env!("CARGO_MANIFEST_DIR")).parent().unwrap();
        for part in parts(ROOMS).unwrap() {
            for room in &part.rooms {
                let path = root.join(&part.folder).join(room.replace("::", "/"));
                let there = path.is_dir()
                    || ["rs", "ts", "vue"].iter().any(|ending| path.with_extension(ending).exists());
                assert!(there, "{room} is declared in rooms.txt, and there is no {}", path.display());
            }
        }
    }
}
