//! Whether two pieces go together: `does a 6 mm ring of 18 ga go into a hook clasp`.

use super::answer::{Answer, answer};
use super::makes::Kept;
use super::{Unclear, View};
use crate::fault::{Fault, Faults};
use crate::piece::Piece;
use crate::piece::mate::mate;
use crate::tool::workshop::Workshop;
use crate::words::length::LengthUnit;
use crate::words::listed;
use lorimant_text::text;

/// What stands between two pieces that are asked about together; the longest first.
const BETWEEN: [&str; 12] = [
    " go together with ",
    " goes together with ",
    " go through ",
    " goes through ",
    " goes with ",
    " go with ",
    " go into ",
    " goes into ",
    " fit into ",
    " fits into ",
    " fit through ",
    " fits through ",
];
/// How such a question begins.
const LEADS: [&str; 5] = ["does ", "do ", "will ", "would ", "can "];
/// What may stand before a piece.
const ARTICLES: [&str; 5] = ["a ", "an ", "the ", "my ", "one "];

/// Some words of a line, and the place where they begin.
type Words<'a> = (usize, &'a str);

/// The two pieces of a line that asks whether they go together.
fn parted(text: &str) -> Option<(Words<'_>, Words<'_>)> {
    // Places are those of the text as it was typed: the words looked for are ASCII, and those letters stay as long.
    let lower = text.to_ascii_lowercase();
    let (at, between) = BETWEEN.iter().find_map(|between| Some((lower.find(between)?, between)))?;
    let after = |mut from: usize, to: usize, words: &[&str]| {
        from += lower[from..to].len() - lower[from..to].trim_start().len();
        words.iter().find(|word| lower[from..to].starts_with(**word)).map_or(from, |word| from + word.len())
    };
    let first = after(after(0, at, &LEADS), at, &ARTICLES);
    let second = after(at + between.len(), text.len(), &ARTICLES);
    let trimmed = |from: usize, to: usize| (from, text[from..to].trim_end_matches(['?', '.', ' ']));
    Some((trimmed(first, at), trimmed(second, text.len())))
}

/// The piece some words stand for: one that is kept by its name, rings by their size and wire, a finding. What a metal
/// has no say in is asked without one.
///
/// ```
/// use lorimant_core::ask::piece;
/// use lorimant_core::piece::Piece;
/// use lorimant_core::tool::workshop::Workshop;
///
/// let (ring, assumed) = piece("6 mm ring 18 ga", &Workshop::default(), &Vec::new).unwrap();
/// assert!(matches!(ring, Piece::Rings(_)) && assumed[0].contains("copper"));
/// ```
///
/// # Errors
/// A fault at `typed` that says what is not understood, or still missing.
pub fn piece(
    text: &str,
    workshop: &Workshop,
    kept: &dyn Fn() -> Vec<Kept>,
) -> Result<(Piece, Vec<String>), Faults> {
    let name = text.trim().trim_matches(['“', '”', '"']);
    let all = kept();
    if let Some(found) = all.iter().find(|kept| kept.name.trim().eq_ignore_ascii_case(name)) {
        return Ok((found.piece.clone(), vec![]));
    }
    let lower = name.to_lowercase();
    let part: Vec<&Kept> = all.iter().filter(|kept| kept.name.to_lowercase().contains(&lower)).collect();
    if let ([found], true) = (part.as_slice(), lower.chars().count() >= 4) {
        return Ok((found.piece.clone(), vec![text!("fits-read-as", name = found.name)]));
    }
    let read = |text: &str| answer(text, workshop, kept);
    let mut reply = read(text);
    let mut assumed = vec![];
    if reply.metal_missing {
        let with = read(&format!("copper {text}"));
        if with.request.is_some() || with.pattern.is_some() {
            assumed.push(text!("fits-no-metal-given-using-copper").to_owned());
            reply = with;
        }
    }
    assumed.extend(reply.metal_assumed.take());
    let fault = |message: String| Faults::from(Fault::new("typed", message));
    if let Some(unclear) = reply.unclear.first() {
        return Err(fault(format!("“{}”: {}", unclear.text.trim(), unclear.why)));
    }
    if let Some(first) = reply.faults.first() {
        return Err(fault(first.message.clone()));
    }
    if let Some(chain) = reply.chain {
        return Ok((Piece::Chain(Box::new(chain)), assumed));
    }
    match (reply.pattern, reply.request) {
        (Some(finding), _) => Ok((Piece::Finding(finding), assumed)),
        (_, Some(rings)) => Ok((Piece::Rings(rings), assumed)),
        _ if !reply.missing.is_empty() => {
            Err(fault(text!("fits-please-also-give", missing = listed(&reply.missing))))
        }
        _ => Err(fault(text!("fits-this-names-no-ring-no").to_owned())),
    }
}

/// Answers a line that asks whether two pieces go together; nothing where it does not ask that.
pub(super) fn answer_fits(text: &str, workshop: &Workshop, kept: &dyn Fn() -> Vec<Kept>) -> Option<Answer> {
    let (first, second) = parted(text)?;
    let mut reply = Answer::default();
    let mut read = |(from, words): Words| match piece(words, workshop, kept) {
        Ok((piece, assumed)) => {
            reply.understood.push(without_count(&piece, workshop.habits.unit));
            reply.assumed.extend(assumed);
            Some(piece)
        }
        Err(faults) => {
            let start = text[..from].chars().count();
            let why = faults.0.into_iter().map(|fault| fault.message).collect::<Vec<_>>().join(" ");
            let to = start + words.chars().count();
            reply.unclear.push(Unclear {
                from: start,
                to,
                text: words.to_owned(),
                why,
                instead: vec![],
                holds_back: true,
            });
            None
        }
    };
    let (a, b) = (read(first), read(second));
    let (Some(a), Some(b)) = (a, b) else { return Some(reply) };
    match mate(&a, &b, workshop) {
        Err(faults) => reply.faults = faults.0,
        Ok(fits) if fits.is_empty() => {
            reply.headline = text!("fits-neither-two-has-opening-other").to_owned();
        }
        Ok(fits) => {
            let goes = |ok| if ok { text!("fits-fits") } else { text!("fits-doesnt-fit") };
            let answers: Vec<String> =
                fits.iter().map(|fit| format!("{}. {}", goes(fit.ok), fit.text)).collect();
            reply.headline = answers.join(" ");
        }
    }
    // What is opened is the finding, or the first of two rings.
    let (opened, view) = match (&a, &b) {
        (Piece::Finding(_), _) => (a, View::Room),
        (_, Piece::Finding(_)) => (b, View::Room),
        _ => (a, View::Rings),
    };
    match opened {
        Piece::Finding(finding) => reply.pattern = Some(finding),
        Piece::Rings(rings) => reply.request = Some(rings),
        Piece::Chain(chain) => reply.chain = Some(*chain),
    }
    reply.opens = Some(view);
    Some(reply)
}

/// The piece in its sentence.
fn without_count(piece: &Piece, unit: LengthUnit) -> String {
    piece.clone().with_count(1).sentence(unit)
}
