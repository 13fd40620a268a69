//! What a maker asks of their own workshop: a batch, an order, what is in stock, when something can be ready; and what the
//! wire that is there says to it.

use super::answer::{Answer, held_back};
use super::line::Line;
use super::number::off_the_spool;
use super::parsed::gather;
use super::token::scan;
use crate::fault::Faults;
use crate::piece::Piece;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::words::listed;
use crate::words::scale::of_wire;
use lorimant_text::text;

/// Wire that is there.
#[derive(Debug, Clone, PartialEq)]
pub struct Spool {
    /// What it is called.
    pub name: String,
    /// Its wire, with what covers it.
    pub wire: Wire,
    /// How much of it is left, mm.
    pub left_mm: f64,
}

/// Sizes that lie no further apart than this, as a share, are one to who asks what is there.
const SAME_SIZE: f64 = 0.03;
/// Most spools that are named.
const MOST_NAMED: usize = 6;

/// What is asked of the workshop.
#[derive(Debug, Clone, PartialEq)]
pub enum Mine {
    /// A batch by its number.
    Batch(i64),
    /// A lot by its number.
    Lot(i64),
    /// A bag by its number, as its label says.
    Bag(i64),
    /// An order by its number.
    Order(i64),
    /// Orders for somebody, by some words of their name.
    OrdersFor(String),
    /// How much of a wire is there, by the words that name it.
    Stock(String),
    /// Whether there is enough wire for a piece: the whole of it in words.
    Enough(String),
    /// When a piece can be ready, in words.
    ReadyWhen(String),
}

/// Words that ask how much is there, at the end of a line or its beginning.
const THERE: [&str; 14] = [
    "have i got left",
    "have i got",
    "do i have left",
    "do i have",
    "have we got",
    "do we have",
    "is in stock",
    "in stock",
    "is left over",
    "is left",
    "is there",
    "have i",
    "left",
    "on hand",
];

/// What a line asks of the workshop; nothing where it asks something else.
///
/// ```
/// use lorimant_core::ask::mine::{Mine, read};
///
/// assert_eq!(read("batch 9"), Some(Mine::Batch(9)));
/// assert_eq!(read("bag 76"), Some(Mine::Bag(76)));
/// assert_eq!(read("order for the theatre"), Some(Mine::OrdersFor("theatre".into())));
/// assert_eq!(read("how much 20 gauge copper have I got?"), Some(Mine::Stock("20 gauge copper".into())));
/// assert_eq!(
///     read("do I have enough 20 ga sterling for 30 ear wires"),
///     Some(Mine::Enough("20 ga sterling 30 ear wires".into()))
/// );
/// assert_eq!(read("when can 24 pairs of ear wires be ready"), Some(Mine::ReadyWhen("24 pairs of ear wires".into())));
/// assert_eq!(read("24 pairs of ear wires"), None);
/// ```
#[must_use]
pub fn read(text: &str) -> Option<Mine> {
    let lower = text.to_lowercase();
    let line = lower.trim().trim_end_matches(['?', '.', '!']).trim();
    numbered(line)
        .or_else(|| orders(line))
        .or_else(|| ready(line))
        .or_else(|| enough(line))
        .or_else(|| stock(line))
}

/// The words of a line that may be a name people gave to something of theirs; nothing where it is too short or too long
/// to be one, or only a number.
///
/// ```
/// use lorimant_core::ask::mine::name_in;
///
/// assert_eq!(name_in("where is the Blue spool?"), Some("blue spool".into()));
/// assert_eq!(name_in("open stage hooks"), Some("stage hooks".into()));
/// assert_eq!(name_in("18"), None);
/// ```
#[must_use]
pub fn name_in(text: &str) -> Option<String> {
    let lower = text.to_lowercase();
    let mut words = lower.trim().trim_end_matches(['?', '.', '!']).trim();
    for lead in
        ["open ", "show ", "find ", "where is ", "where are ", "my ", "the ", "bag of ", "bag ", "batch of "]
    {
        words = words.strip_prefix(lead).unwrap_or(words).trim_start();
    }
    let letters = words.chars().filter(|letter| letter.is_alphabetic()).count();
    (letters >= 3 && words.chars().count() <= 80).then(|| words.to_owned())
}

/// `batch 9`, `bag 76`, `lot no. 3`, `order #12`.
fn numbered(line: &str) -> Option<Mine> {
    let line = line.strip_prefix("open ").unwrap_or(line);
    let (word, rest) = line.split_once(char::is_whitespace)?;
    let rest = ["number", "no.", "no", "#"].iter().find_map(|lead| rest.strip_prefix(lead)).unwrap_or(rest);
    let n: i64 = rest.trim().trim_start_matches('#').parse().ok().filter(|n| *n > 0)?;
    match word {
        "batch" => Some(Mine::Batch(n)),
        "bag" => Some(Mine::Bag(n)),
        "lot" | "spool" => Some(Mine::Lot(n)),
        "order" => Some(Mine::Order(n)),
        _ => None,
    }
}

/// `order for the theatre`, `orders of the gift stall`.
fn orders(line: &str) -> Option<Mine> {
    let leads = ["orders for ", "order for ", "orders of ", "order of ", "orders from ", "order from "];
    let rest = leads.iter().find_map(|lead| line.strip_prefix(lead))?;
    let name = rest.strip_prefix("the ").unwrap_or(rest).trim();
    (!name.is_empty()).then(|| Mine::OrdersFor(name.to_owned()))
}

/// `when can 24 pairs of ear wires be ready`.
fn ready(line: &str) -> Option<Mine> {
    let leads = ["when can i have ", "when could ", "when can ", "when will ", "how soon can "];
    let rest = leads.iter().find_map(|lead| line.strip_prefix(lead))?;
    let tails = [" be ready", " be done", " be finished", " be made", " ready"];
    let piece = tails.iter().find_map(|tail| rest.strip_suffix(tail)).unwrap_or(rest);
    Some(Mine::ReadyWhen(piece.trim().to_owned()))
}

/// `do I have enough 20 ga sterling for 30 ear wires`.
fn enough(line: &str) -> Option<Mine> {
    let leads = ["do i have enough ", "have i got enough ", "have i enough ", "is there enough ", "enough "];
    let rest = leads.iter().find_map(|lead| line.strip_prefix(lead))?;
    let rest = rest.strip_prefix("wire ").unwrap_or(rest);
    let (wire, piece) = rest.split_once(" for ").or_else(|| Some(("", rest.strip_prefix("for ")?)))?;
    Some(Mine::Enough(format!("{wire} {piece}").trim().to_owned()))
}

/// `how much 20 gauge copper have I got`.
fn stock(line: &str) -> Option<Mine> {
    let rest = ["how much ", "how many metres of ", "how many meters of ", "how many feet of "]
        .iter()
        .find_map(|lead| line.strip_prefix(lead))?;
    let wire = THERE.iter().find_map(|tail| rest.strip_suffix(tail))?.trim();
    (!wire.is_empty()).then(|| Mine::Stock(wire.to_owned()))
}

/// How much of a wire is there, whatever its temper and section, in a sentence; what to write where the words name none.
///
/// ```
/// use lorimant_core::ask::mine::{Spool, stock_told};
/// use lorimant_core::tool::workshop::Workshop;
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
///
/// let spool = |metal, mm| Spool { name: "spool".into(), wire: Wire::round(metal, mm, Temper::Soft), left_mm: 2000.0 };
/// let there = [spool(Metal::Copper, 0.81), spool(Metal::Copper, 1.02), spool(Metal::Brass, 0.81)];
/// let told = |words| stock_told(words, &there, &Workshop::default());
/// assert!(told("20 gauge copper").starts_with("2 m in stock"));
/// assert!(told("copper").starts_with("4 m in stock"));
/// assert_eq!(told("sterling 20 ga"), "No sterling 20 ga in stock.");
/// assert!(told("time").contains("names no wire"));
/// ```
#[must_use]
pub fn stock_told(words: &str, there: &[Spool], workshop: &Workshop) -> String {
    let unit = workshop.habits.unit;
    let line = Line::new(words, workshop);
    let mut reply = Answer::default();
    let (tokens, unclear) = scan(&line, workshop);
    let parsed = gather(&tokens, &line, workshop, &mut reply);
    let (metal, size_mm) = (parsed.metal.map(|at| at.value), parsed.size_mm.map(|at| at.value));
    if !unclear.is_empty() || held_back(&reply.unclear) || metal.is_none() && size_mm.is_none() {
        return text!("mine-names-no-wire-write-its", words);
    }
    let own: Vec<&Spool> = there
        .iter()
        .filter(|spool| metal.is_none_or(|metal| spool.wire.metal == metal))
        .filter(|spool| size_mm.is_none_or(|mm| (spool.wire.size_mm / mm - 1.0).abs() < SAME_SIZE))
        .collect();
    if own.is_empty() {
        return text!("mine-no-in-stock", words);
    }
    let each = |spool: &&Spool| {
        text!(
            "mine-of",
            left_mm = of_wire(spool.left_mm, unit),
            wire = spool.wire.shown(unit),
            name = spool.name
        )
    };
    let named: Vec<String> = own.iter().take(MOST_NAMED).map(each).collect();
    let more = match own.len().saturating_sub(MOST_NAMED) {
        0 => String::new(),
        n => text!("mine-more", n),
    };
    let left_mm: f64 = own.iter().map(|spool| spool.left_mm).sum();
    text!("mine-in-stock", left_mm = of_wire(left_mm, unit), named = named.join("; "), more)
}

/// Whether there is wire enough for a piece, wire by wire, in a sentence.
///
/// # Errors
/// The faults of the piece.
pub fn enough_told(piece: &Piece, there: &[Spool], workshop: &Workshop) -> Result<String, Faults> {
    let unit = workshop.habits.unit;
    let what = piece.counted_as(piece.count());
    let finished = piece.finished(workshop)?;
    let (mut enough, mut told) = (true, vec![]);
    for (wire, blanks) in &finished.cut {
        let needed_mm = blanks.length_mm * f64::from(blanks.n);
        let own: Vec<&Spool> = there.iter().filter(|spool| spool.wire.stands_for(wire)).collect();
        let left_mm: f64 = own.iter().map(|spool| spool.left_mm).sum();
        enough &= left_mm >= needed_mm;
        let (needed, left, shown) =
            (off_the_spool(needed_mm, unit), of_wire(left_mm, unit), wire.shown(unit));
        told.push(match own.len() {
            0 => text!("mine-which-there-none-in-stock", needed, shown),
            n => text!("mine-in-stock-on", needed, shown, left, n = text!("count-spool", n)),
        });
    }
    Ok(text!("mine-need", enough, what, told = listed(&told)))
}
