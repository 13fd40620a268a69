//! What a maker asks of their own workshop: a batch, an order, what is in stock, when something can be ready.

/// What is asked of the workshop.
#[derive(Debug, Clone, PartialEq)]
pub enum Mine {
    /// A batch by its number.
    Batch(i64),
    /// A lot by its number.
    Lot(i64),
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

/// `batch 9`, `lot no. 3`, `order #12`.
fn numbered(line: &str) -> Option<Mine> {
    let line = line.strip_prefix("open ").unwrap_or(line);
    let (word, rest) = line.split_once(char::is_whitespace)?;
    let rest = ["number", "no.", "no", "#"].iter().find_map(|lead| rest.strip_prefix(lead)).unwrap_or(rest);
    let n: i64 = rest.trim().trim_start_matches('#').parse().ok().filter(|n| *n > 0)?;
    match word {
        "batch" => Some(Mine::Batch(n)),
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
