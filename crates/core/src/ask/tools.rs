//! What a maker has in hand and asks the piece of: `i cut 2 inches`, `with my 5/7 pliers`, `mark 5 mm from the tip`.

use super::answer::Answer;
use crate::pattern::from_tools::Tools;
use crate::tool::workshop::Workshop;
use crate::words::length::{self, Habits, both, on_ruler};
use lorimant_text::text;

/// What leads to a length that is cut; the longest first.
const CUT: [&str; 10] = [
    "cut lengths of ",
    "cut length of ",
    "cut length ",
    "cut it at ",
    "cut it to ",
    "cutting ",
    "blanks of ",
    "blank of ",
    "cut to ",
    "cut ",
];
/// What makes a length something else than what is cut.
const NOT_CUT: [&str; 8] = ["wire", "inside", "outside", "thick", "ring", "jump ring", "rod", "mandrel"];
/// Ways of cutting that end with the word.
const WAYS: [&str; 5] = ["flush ", "flush-", "double ", "saw ", "saw-"];
/// What leads to a place on a jaw.
const MARK: [&str; 6] = ["jaw mark at ", "jaw mark ", "marked at ", "mark at ", "marked ", "mark "];

/// The tools a line names, and the line with spaces in their place, so that every other letter stays where it is.
pub(super) fn taken(text: &str, workshop: &Workshop, reply: &mut Answer) -> (Tools, String) {
    let mut tools = Tools::default();
    let mut rest = text.to_ascii_lowercase();
    let unit = workshop.habits.unit;
    let mark =
        led(&rest, &MARK, workshop).or_else(|| tailed(&rest, &[" from the tip", " from tip"], workshop));
    if let Some((mm, from, to)) = mark {
        reply.understood.push(text!("ask-tools-jaw-mark-from-tip", mm = on_ruler(mm, unit)));
        (tools.jaw_mm, rest) = (Some(mm), blanked(&rest, from, to));
    }
    let cut = led(&rest, &CUT, workshop).or_else(|| tailed(&rest, &[" blanks", " blank"], workshop));
    if let Some((mm, from, to)) = cut {
        reply.understood.push(text!("ask-tools-cut-flush-flush", mm = both(mm)));
        (tools.cut_mm, rest) = (Some(mm), blanked(&rest, from, to));
    }
    if let Some((name, from, to)) = pliers(&rest, workshop) {
        reply.understood.push(text!("ask-tools-on", name));
        (tools.plier, rest) = (Some(name), blanked(&rest, from, to));
    }
    // Letters are those typed: only what was taken is blank.
    let kept = text.char_indices().map(|(i, c)| if rest.as_bytes().get(i) == Some(&b' ') { ' ' } else { c });
    (tools, kept.collect())
}

fn blanked(text: &str, from: usize, to: usize) -> String {
    let mut blank = text.to_owned();
    blank.replace_range(from..to, &" ".repeat(to - from));
    blank
}

fn begins_word(text: &str, at: usize) -> bool {
    at == 0 || text[..at].ends_with(|c: char| !c.is_alphanumeric() && c != '-')
}

/// A length with its unit at the head of some words: how long it is, and how many letters it takes.
fn length_at(text: &str, workshop: &Workshop) -> Option<(f64, usize)> {
    let ends = text.char_indices().filter(|(_, c)| c.is_whitespace() || ",;?:".contains(*c)).map(|(i, _)| i);
    let ends: Vec<usize> = ends.chain([text.len()]).take(4).collect();
    let reads = |to: &usize| {
        let typed = text[..*to].trim_end_matches('.');
        let has_unit = typed.chars().any(|c| c.is_alphabetic() || c == '"' || c == '″');
        let gauge = ["ga", "awg", "swg", "gauge"].iter().any(|word| typed.ends_with(word));
        let reading = length::read(typed, Habits { ..workshop.habits }).ok()?;
        (has_unit && !gauge && typed.starts_with(|c: char| c.is_ascii_digit() || c == '.'))
            .then_some((reading.mm, *to))
    };
    let found = ends.iter().rev().find_map(reads)?;
    // `1 mm wire` is the wire, `flush cut 5 mm rings` are rings.
    let next = text[found.1..].trim_start();
    (!NOT_CUT.iter().any(|word| next.starts_with(word))).then_some(found)
}

fn led(text: &str, leads: &[&str], workshop: &Workshop) -> Option<(f64, usize, usize)> {
    leads.iter().find_map(|lead| {
        text.match_indices(lead).find_map(|(at, _)| {
            let from = at + lead.len();
            let (mm, letters) = length_at(&text[from..], workshop)?;
            let way = WAYS.iter().any(|way| text[..at].ends_with(way));
            (begins_word(text, at) && !way).then_some((mm, at, from + letters))
        })
    })
}

fn tailed(text: &str, tails: &[&str], workshop: &Workshop) -> Option<(f64, usize, usize)> {
    tails.iter().find_map(|tail| {
        let at = text.find(tail)?;
        let starts = text[..at].char_indices().filter(|(i, c)| c.is_ascii_digit() && begins_word(text, *i));
        let mut starts = starts.map(|(i, _)| i);
        starts.find_map(|from| {
            let (mm, letters) = length_at(&text[from..at], workshop)?;
            (from + letters == at).then_some((mm, from, at + tail.len()))
        })
    })
}

/// Pliers by their name in the workshop, or by their two jaws: `5/7 pliers`.
fn pliers(text: &str, workshop: &Workshop) -> Option<(String, usize, usize)> {
    let own = workshop.pliers.iter().filter_map(|plier| {
        let name = plier.name.trim().to_ascii_lowercase();
        let at = text.find(&name).filter(|at| !name.is_empty() && begins_word(text, *at))?;
        let to = at + name.len();
        let is_plier = text[to..].starts_with(" plier") || name.contains("plier");
        let end = if text[to..].starts_with(" pliers") { to + text!("ask-tools-pliers").len() } else { to };
        is_plier.then(|| (plier.name.trim().to_owned(), at, end))
    });
    let own = own.max_by_key(|(name, ..)| name.len());
    own.or_else(|| {
        let tail = [
            " mm loop pliers",
            "mm loop pliers",
            " loop pliers",
            " mm pliers",
            "mm pliers",
            " bail pliers",
            " pliers",
        ]
        .iter()
        .find_map(|tail| Some((text.find(tail)?, tail.len())));
        let (at, letters) = tail?;
        let from =
            text[..at].rfind(|c: char| !c.is_ascii_digit() && c != '/' && c != '.').map_or(0, |i| i + 1);
        let jaws = &text[from..at];
        let two =
            jaws.split_once('/').is_some_and(|(a, b)| a.parse::<f64>().is_ok() && b.parse::<f64>().is_ok());
        two.then(|| (jaws.to_owned(), from, at + letters))
    })
}
