//! The ask line: reads what a maker types, in any order, and says what it understood.
//!
//! It reads the sentences that [`crate::sentence`] writes, and shorter ones: `120 rings 5 mm inside
//! copper 18 soft`. Words it does not know are pointed at, never guessed.

mod answer;
mod finding;
mod said;
mod vocabulary;

use serde::Serialize;
use winnow::ascii::{digit1, multispace0};
use winnow::combinator::{alt, opt, preceded, terminated};
use winnow::prelude::*;

pub use answer::{Answer, answer};
pub(crate) use vocabulary::exactly;

use crate::cutting::{Blade, Method};
use crate::length::{self, Typed, word_end};
use crate::mandrel::{Mandrel, Shape};
use crate::metal::{Metal, Temper};
use crate::pattern::{Kind, Parameter};
use crate::ring::Winding;
use crate::section::Section;
use crate::workshop::Workshop;

/// What a stretch of the text means.
#[derive(Debug, Clone, PartialEq)]
pub(crate) enum Meaning {
    Count(f64),
    Metal(Metal),
    Temper(Temper),
    Section(Section),
    Winding(Winding),
    Method(Method),
    Filed,
    Blade(Blade),
    Rod(Box<Mandrel>),
    /// A length, with the role the words round it give it.
    Length(Typed, Role),
    Mass(f64),
    Pattern(Kind),
    /// A dimension of the pattern spoken of, by its label; `true` where it was said of several.
    Parameter(&'static Parameter, f64, bool),
    Mirrored,
    /// So many pieces of a finding, or pairs of what is counted in pairs.
    Pieces(f64),
    HowMuch,
    HowMany,
    Filler,
}

/// What a length is the length of.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) enum Role {
    Unsaid,
    Inside,
    Outside,
    Wire,
    Supply,
}

/// A stretch of the text that was understood.
#[derive(Debug, Clone, PartialEq)]
pub(crate) struct Token {
    pub from: usize,
    pub to: usize,
    pub meaning: Meaning,
}

/// A stretch of the text that was not understood, counted in characters from its start.
#[derive(Debug, Clone, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Unclear {
    /// First character.
    pub from: usize,
    /// One past the last character.
    pub to: usize,
    /// The words.
    pub text: String,
    /// Why, and what would be clear.
    pub why: String,
}

/// Longest line that is read, in characters.
pub const LONGEST: usize = 400;

/// Splits a line into what is understood and what is not.
pub(crate) fn scan(text: &str, workshop: &Workshop) -> (Vec<Token>, Vec<Unclear>) {
    let lower: String = text.chars().map(|c| c.to_lowercase().next().unwrap_or(c)).collect();
    let mut rest = lower.as_str();
    let (mut tokens, mut unclear): (Vec<Token>, Vec<Unclear>) = (vec![], vec![]);
    let place = |rest: &str| lower.chars().count() - rest.chars().count();
    let kind = vocabulary::pattern_in(&lower);
    loop {
        rest = rest.trim_start_matches(|c: char| {
            c.is_whitespace() || ",;:.?!".contains(c) && !starts_decimal(rest, c)
        });
        if rest.is_empty() {
            break;
        }
        let from = place(rest);
        let mut here = rest;
        if let Ok(meaning) = meaning(&mut here, kind, workshop) {
            rest = here;
            tokens.push(Token { from, to: place(rest), meaning });
        } else {
            let end = rest.find(|c: char| c.is_whitespace() || ",;:".contains(c)).unwrap_or(rest.len());
            let (word, after) = rest.split_at(end.max(1).min(rest.len()));
            rest = after;
            let why = vocabulary::closest(word).map_or_else(
                || format!("“{word}” is not a word this line knows."),
                |known| format!("“{word}” is not a word this line knows. Did you mean “{known}”?"),
            );
            unclear.push(Unclear { from, to: place(rest), text: word.to_owned(), why });
        }
    }
    (tokens, unclear)
}

/// `.040"` starts with a point that belongs to its number.
fn starts_decimal(rest: &str, c: char) -> bool {
    c == '.' && rest.starts_with('.') && rest[1..].starts_with(|d: char| d.is_ascii_digit())
}

fn meaning(input: &mut &str, kind: Option<Kind>, workshop: &Workshop) -> ModalResult<Meaning> {
    alt((
        |i: &mut &str| finding::dimension(i, kind, workshop),
        finding::pieces_or_pairs,
        |i: &mut &str| on_the_rod(i, workshop),
        count,
        blade,
        tagged_length,
        mass,
        vocabulary::phrase,
        |i: &mut &str| named_rod_or_length(i, workshop),
    ))
    .parse_next(input)
}

fn count(input: &mut &str) -> ModalResult<Meaning> {
    let n = digit1.parse_to::<f64>().parse_next(input)?;
    let noun = alt(("jump rings", "jump ring", "rings", "ring", "pieces", "pcs", "off"));
    preceded(multispace0, terminated(noun, word_end)).parse_next(input)?;
    Ok(Meaning::Count(n))
}

fn blade(input: &mut &str) -> ModalResult<Meaning> {
    let number = (digit1, opt("/0")).take().parse_next(input)?;
    preceded(multispace0, terminated(alt(("blades", "blade")), word_end)).parse_next(input)?;
    number
        .parse()
        .map(Meaning::Blade)
        .map_err(|_| winnow::error::ErrMode::Backtrack(winnow::error::ContextError::new()))
}

fn mass(input: &mut &str) -> ModalResult<Meaning> {
    let n = length::amount(input)?;
    let unit = alt((
        alt(("kilograms", "kg")).value(1000.0),
        alt(("grams", "gram", "g")).value(1.0),
        alt(("ounces", "ounce", "oz")).value(28.349_523_125),
    ));
    let grams: f64 = preceded(multispace0, terminated(unit, word_end)).parse_next(input)?;
    Ok(Meaning::Mass(n * grams))
}

/// A length with the words that say whose it is, before or after it.
fn tagged_length(input: &mut &str) -> ModalResult<Meaning> {
    let inside = || alt(("inside diameter", "inner diameter", "inside", "inner", "i.d.", "id"));
    let outside = || alt(("outside diameter", "outer diameter", "outside", "outer", "o.d.", "od"));
    let role = || {
        let named =
            alt((inside().value(Role::Inside), outside().value(Role::Outside), "wire".value(Role::Wire)));
        terminated(named, word_end)
    };
    let before = alt((role(), terminated(alt(("from", "have")), word_end).value(Role::Supply)));
    let led = (before, multispace0, length_alone).map(|(role, _, typed)| Meaning::Length(typed, role));
    let tailed = (length_alone, multispace0, opt("ø "), role())
        .map(|(typed, _, _, role)| Meaning::Length(typed, role));
    alt((tailed, led)).parse_next(input)
}

/// A length and the bracketed size in other units that may follow it.
fn length_alone(input: &mut &str) -> ModalResult<Typed> {
    let typed = length::typed(input)?;
    let second = opt((multispace0, alt(("×", "x")), multispace0, length::typed)).parse_next(input)?;
    let typed = match (typed, second) {
        // `6 × 4 mm`: the unit stands once, behind the second number.
        (Typed::Bare(n), Some((_, _, _, Typed::Mm(_)))) => Typed::Mm(n),
        (typed, _) => typed,
    };
    // `1.02 mm (18 AWG)`: a gauge in brackets is the exact size that the millimetres round.
    let bracket = opt((multispace0, '(', length::typed, ')')).parse_next(input)?;
    Ok(match bracket {
        Some((_, _, gauge @ Typed::Gauge(..), _)) => gauge,
        Some((_, _, Typed::Mm(exact), _)) if matches!(typed, Typed::Mm(mm) if same_size(mm, exact)) => {
            Typed::Mm(exact)
        }
        _ => typed,
    })
}

/// Whether a size in brackets says the same in another unit, but for its rounding.
fn same_size(mm: f64, bracket: f64) -> bool {
    (mm / bracket - 1.0).abs() < 0.005
}

fn named_rod_or_length(input: &mut &str, workshop: &Workshop) -> ModalResult<Meaning> {
    let mut ahead = *input;
    // `5 mm drill shank` without `on the` is a rod as well, if a rod's name follows at once.
    if let Ok(rod) = rod_words(&mut ahead, workshop)
        && rod.name.is_some()
    {
        *input = ahead;
        return Ok(Meaning::Rod(Box::new(meant(rod, workshop))));
    }
    let typed = length_alone(input)?;
    // Nothing may cling to a number: `5x` is not five.
    if matches!(typed, Typed::Bare(_)) {
        word_end(input)?;
    }
    Ok(Meaning::Length(typed, Role::Unsaid))
}

/// `on the 5 mm drill shank with 2 layers of tape`.
fn on_the_rod(input: &mut &str, workshop: &Workshop) -> ModalResult<Meaning> {
    let lead = alt(("on", "over", "around", "round a", "mandrel", "rod"));
    terminated(lead, word_end).parse_next(input)?;
    let article = terminated(alt(("the", "a", "an", "my")), word_end);
    (multispace0, opt(article), multispace0).parse_next(input)?;
    rod_words(input, workshop).map(|rod| Meaning::Rod(Box::new(meant(rod, workshop))))
}

/// The workshop's own rod that was spoken of, or the rod as spoken.
fn meant(spoken: Mandrel, workshop: &Workshop) -> Mandrel {
    let tape_layers = spoken.tape_layers;
    let own = workshop.own(&spoken).cloned();
    Mandrel { tape_layers, ..own.unwrap_or(spoken) }
}

fn rod_words(input: &mut &str, workshop: &Workshop) -> ModalResult<Mandrel> {
    let first = length::typed(input)?;
    let second =
        opt(preceded((multispace0, alt(("×", "x")), multispace0), length::typed)).parse_next(input)?;
    let bracket = opt((multispace0, '(', length::typed, ')')).parse_next(input)?;
    let unit_of_second = matches!(second, Some(Typed::Mm(_)));
    let mm = |typed: Typed| match typed {
        Typed::Bare(n) if unit_of_second => Some(n),
        other => length::understand(other, workshop.habits).ok().map(|reading| reading.mm),
    };
    let fail = || winnow::error::ErrMode::Backtrack(winnow::error::ContextError::new());
    let mut diameter_mm = mm(first).ok_or_else(fail)?;
    if let Some(exact) = bracket.and_then(|(_, _, typed, _)| mm(typed))
        && same_size(diameter_mm, exact)
    {
        diameter_mm = exact;
    }
    let short_mm = match second {
        Some(typed) => Some(mm(typed).ok_or_else(fail)?),
        None => None,
    };
    multispace0.parse_next(input)?;
    let shape = opt(terminated(
        alt((
            alt(("oval", "elliptical")).value(Shape::Oval),
            "square".value(Shape::Square),
            alt(("hexagonal", "hexagon", "hex")).value(Shape::Hexagon),
            alt(("octagonal", "octagon")).value(Shape::Octagon),
            "round".value(Shape::Round),
        )),
        (word_end, multispace0),
    ))
    .parse_next(input)?
    .unwrap_or(Shape::Round);
    let name = rod_name(input, workshop)?;
    let layers = opt((multispace0, "with", multispace0, digit1.parse_to::<u32>(), multispace0, tape_words))
        .parse_next(input)?
        .map_or(0, |(_, _, _, n, _, _)| n);
    Ok(Mandrel { name, shape, short_mm, tape_layers: layers, ..Mandrel::round(diameter_mm) })
}

fn tape_words<'i>(input: &mut &'i str) -> ModalResult<&'i str> {
    alt(("layers of tape", "layer of tape", "layers", "layer")).parse_next(input)
}

/// A name the workshop gives one of its rods, or a common word for a rod.
fn rod_name(input: &mut &str, workshop: &Workshop) -> ModalResult<Option<String>> {
    let own = workshop.rods.iter().filter_map(|rod| rod.name.as_deref());
    let common = [
        "drill shank",
        "drill bit",
        "knitting needle",
        "needle",
        "dowel",
        "drill",
        "shank",
        "mandrel",
        "rod",
    ];
    let follows = |name: &str| {
        input.get(..name.len()).is_some_and(|head| head == name.to_lowercase())
            && !input[name.len()..].starts_with(|c: char| c.is_alphanumeric())
    };
    let found = own.chain(common).filter(|name| follows(name)).max_by_key(|name| name.len());
    let Some(name) = found else { return Ok(None) };
    *input = &input[name.len()..];
    Ok(Some(name.to_owned()))
}
