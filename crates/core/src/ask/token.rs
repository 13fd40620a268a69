//! A line cut into stretches that are understood, and what each means by itself.

use winnow::ascii::{digit1, multispace0};
use winnow::combinator::{alt, not, opt, peek, preceded, terminated};
use winnow::prelude::*;
use winnow::token::one_of;

use super::line::{Line, Unclear};
use super::vocabulary::RINGS;
use super::{finding, vocabulary};
use crate::pattern::{Kind, Parameter};
use crate::reading::{self, Word, rod};
use crate::tool::cutting::Blade;
use crate::tool::mandrel::Mandrel;
use crate::tool::workshop::Workshop;
use crate::words::length::{self, Typed};
use crate::words::{any_of, backtrack, mass, number, word_end};
use lorimant_text::text;

/// What a stretch of the text means.
#[derive(Debug, Clone, PartialEq)]
pub(super) enum Meaning {
    /// A count, and of what.
    Count(f64, Counted),
    /// A word for a wire or a tool.
    Word(Word),
    Blade(Blade),
    Rod(Box<Mandrel>),
    /// A length, with the role the words round it give it.
    Length(Typed, Role),
    /// Two sizes: `6 x 4`; `true` where what follows may make the first a count: `10 x 5 mm rings`.
    Across(Typed, Typed, bool),
    /// Grams.
    Mass(f64),
    /// `20g` written together: a gauge, or grams.
    MassOrGauge(f64),
    /// Ring inside over wire thickness.
    Ratio(f64),
    Pattern(Kind),
    /// A dimension of the pattern spoken of; `true` where it was said of several.
    Parameter(&'static Parameter, f64, bool),
    Mirrored,
    Oval,
    /// How often wire is pulled straight before it is wound.
    Pulls(u32),
    /// What rings are hammered to.
    Hammered(Typed),
    /// A way of making: the question and its answer.
    Way(&'static str, &'static str),
    /// What it has to slip over.
    Over(Typed),
    Rings,
    Ask(Question),
    /// A unit without a number.
    LooseUnit,
    /// A word that asks, without what it asks: `what`.
    Asking,
    Filler,
}

/// What a count counts.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum Counted {
    Rings,
    Pieces,
    Pairs,
    Unsaid,
}

/// What is asked.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum Question {
    HowMuch,
    HowMany,
    Turns,
    Ratio,
    WhatCanIMake,
    Weight,
    WhichWire,
    WhatRod,
    Cost,
}

/// What a length is the length of.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum Role {
    Unsaid,
    Inside,
    Outside,
    Wire,
    /// What something is made from: a wire by its size, or so much of it.
    From,
}

/// A stretch of the text that was understood; places count characters of what was typed.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct Token {
    pub from: usize,
    pub to: usize,
    pub meaning: Meaning,
}

/// Splits a line into what is understood and what is not.
pub(super) fn scan(line: &Line, workshop: &Workshop) -> (Vec<Token>, Vec<Unclear>) {
    let mut rest = line.text.as_str();
    let (mut tokens, mut unclear): (Vec<Token>, Vec<Unclear>) = (vec![], vec![]);
    let kind = vocabulary::pattern_in(&line.text);
    loop {
        rest = rest.trim_start_matches(|c: char| {
            c.is_whitespace() || ",;:.?!".contains(c) && !starts_decimal(rest, c)
        });
        if rest.is_empty() {
            break;
        }
        let from = line.place(rest);
        let mut here = rest;
        if let Ok(meaning) = meaning(&mut here, kind, workshop) {
            rest = here;
            tokens.push(Token { from, to: line.place(rest), meaning });
        } else {
            let end = rest.find(|c: char| c.is_whitespace() || ",;:".contains(c)).unwrap_or(rest.len());
            let first = rest.chars().next().map_or(1, char::len_utf8);
            let (word, after) = rest.split_at(end.max(first));
            rest = after;
            let to = line.place(rest);
            let (why, instead) = match vocabulary::vague(word) {
                Some((why, instead)) => {
                    (why.to_owned(), instead.iter().map(|one| (*one).to_owned()).collect())
                }
                None => {
                    let instead: Vec<String> = vocabulary::closest(word).into_iter().collect();
                    let did = instead.first().map(|known| text!("ask-token-did-you-mean", known));
                    let why =
                        text!("ask-token-not-word-this-line-knows", word, did = did.unwrap_or_default());
                    (why, instead)
                }
            };
            // What is not understood may be what matters.
            unclear.push(Unclear { from, to, text: line.typed(from, to), why, instead, holds_back: true });
        }
    }
    (tokens, unclear)
}

/// `.040"` starts with a point that belongs to its number.
fn starts_decimal(rest: &str, c: char) -> bool {
    c == '.' && rest.starts_with('.') && rest[1..].starts_with(|d: char| d.is_ascii_digit())
}

fn meaning(input: &mut &str, kind: Option<Kind>, workshop: &Workshop) -> ModalResult<Meaning> {
    let on_rod = |i: &mut &str| rod::on_the_rod(i, workshop).map(|rod| Meaning::Rod(Box::new(rod)));
    let named_rod = |i: &mut &str| rod::named(i, workshop).map(|rod| Meaning::Rod(Box::new(rod)));
    let dimension = |i: &mut &str| finding::dimension(i, kind, workshop);
    let tools = alt((on_rod, reading::blade.map(Meaning::Blade), sawn_with.map(Meaning::Blade)));
    let quantities = alt((ratio, across, mass_or_gauge, mass::mass.map(Meaning::Mass), tagged_length));
    let making = alt((pulled, hammered, way, slips_over));
    alt((
        dimension,
        making,
        count,
        tools,
        quantities,
        named_gauge,
        vocabulary::phrase,
        named_rod,
        bare_length,
    ))
    .parse_next(input)
}

/// `120 rings`, `x 50`, `50x`, `60 of them`, `twelve pairs`, `a pair of`, `304 hooks` (though 304 alone is a
/// steel), `qty 40`.
fn count(input: &mut &str) -> ModalResult<Meaning> {
    const PIECES: &[&str] = &[
        "pieces", "piece", "pcs", "pc", "off", "of them", "of these", "of those", "nos", "units", "singles",
    ];
    const PAIRS: &[&str] = &["pairs", "pair", "prs", "pr"];
    const QUANTITY: &[&str] = &["quantity", "qty", "count", "number of"];
    let so_many = |counted: Counted| move |n: f64| Meaning::Count(n, counted);
    let noun = |words| (multispace0, any_of(words));
    // `6 x 4` is two sizes, not six of something.
    let times = ("x", not(digit1), not(preceded(multispace0, number::amount)));
    let quantity = (any_of(QUANTITY), multispace0, opt(one_of([':', '='])), multispace0);
    // `x 12 pairs` are pairs all the same.
    let number = || preceded(opt((one_of(['x', '×', '*']), multispace0)), number::count);
    let counted = alt((
        terminated(number(), noun(RINGS)).map(so_many(Counted::Rings)),
        terminated(number(), noun(PAIRS)).map(so_many(Counted::Pairs)),
        terminated(number(), noun(PIECES)).map(so_many(Counted::Pieces)),
        terminated(number::count, (multispace0, peek(pattern_name))).map(so_many(Counted::Pieces)),
    ));
    let written = alt((
        terminated(number::count, times),
        preceded((one_of(['x', '×', '*']), multispace0), terminated(number::count, whole_end)),
        preceded(quantity, terminated(number::count, whole_end)),
    ));
    let pair = any_of(&["a pair", "one pair", "pair of"]).value(1.0).map(so_many(Counted::Pairs));
    alt((counted, written.map(so_many(Counted::Unsaid)), pair, named_count)).parse_next(input)
}

/// `pulled straight 12 times`, `pulled 10 times`.
fn pulled(input: &mut &str) -> ModalResult<Meaning> {
    let pulled = any_of(&["pulled straight", "pulled"]);
    let times = (multispace0, any_of(&["times", "time"]));
    let number = digit1.parse_to::<u32>();
    (pulled, multispace0, number, times).map(|(_, _, n, _)| Meaning::Pulls(n)).parse_next(input)
}

/// `fused`, `soldered shut`, `tumbled`.
fn way(input: &mut &str) -> ModalResult<Meaning> {
    let fused = any_of(&["fused shut", "fused closed", "fused"]).value(Meaning::Way("joint", "fuse"));
    let soldered =
        any_of(&["soldered shut", "soldered closed", "soldered"]).value(Meaning::Way("joint", "solder"));
    let tumbled = any_of(&["tumbled", "tumble hardened"]).value(Meaning::Way("hardening", "tumble"));
    alt((fused, soldered, tumbled)).parse_next(input)
}

/// `to slip over 3 mm`, `fits over a 3 mm cord`, `for 3 mm cord`: a size that it goes over.
fn slips_over(input: &mut &str) -> ModalResult<Meaning> {
    const CORD: &[&str] = &["leather cord", "leather", "cord", "cable", "lace"];
    let slips = any_of(&[
        "to slip over",
        "that slips over",
        "slips over",
        "slip over",
        "to fit over",
        "that fits over",
        "fits over",
        "fit over",
        "to go over",
        "goes over",
        "go over",
        "to slide over",
        "slides over",
    ]);
    let article = || opt((any_of(&["a", "an", "the", "my"]), multispace0));
    let cord = || preceded(multispace0, any_of(CORD));
    let over = (slips, multispace0, article(), length_alone, opt(cord())).map(|(.., typed, _)| typed);
    // `for a 3 mm cord`, `3 mm cord`.
    let lead = opt((any_of(&["for", "on", "over"]), multispace0, article()));
    let for_cord = (lead, length_alone, cord()).map(|(_, typed, _)| typed);
    alt((over, for_cord)).map(Meaning::Over).parse_next(input)
}

/// `hammered to 0.8 mm`.
fn hammered(input: &mut &str) -> ModalResult<Meaning> {
    let lead = any_of(&["hammered down to", "hammered to", "hammered"]);
    preceded((lead, multispace0), length_alone).map(Meaning::Hammered).parse_next(input)
}

/// A blade named by its number behind the saw: `sawn 3/0`, `sawn with a 2/0`. No wire is sawn with wire.
fn sawn_with(input: &mut &str) -> ModalResult<Blade> {
    let saw = any_of(&["sawn with a", "sawn with", "saw with a", "saw with", "sawn by", "sawn", "saw"]);
    let number = terminated((digit1, "/0").take(), word_end);
    let written = preceded((saw, multispace0), number).parse_next(input)?;
    opt((multispace0, any_of(&["blade", "saw blade"]))).parse_next(input)?;
    written.parse().map_err(|_| backtrack())
}

/// What follows a count is no unit: `x 50`, not `x 50 mm`.
fn whole_end(input: &mut &str) -> ModalResult<()> {
    let ends = !input.starts_with(|c: char| c.is_alphanumeric() || "./\"'″′".contains(c));
    let unit = length_unit_follows(input.trim_start());
    if ends && !unit { Ok(()) } else { Err(backtrack()) }
}

fn length_unit_follows(rest: &str) -> bool {
    let with_number = format!("1 {rest}");
    matches!(
        length::typed(&mut with_number.as_str()),
        Ok(Typed::Mm(_) | Typed::Gauge(..) | Typed::BareGauge(_))
    )
}

/// A number word alone, from two up: `twelve`, `two dozen`, `2 dozen`.
fn named_count(input: &mut &str) -> ModalResult<Meaning> {
    let start = *input;
    let n = terminated(number::count, word_end).parse_next(input)?;
    let written = &start[..start.len() - input.len()];
    if !written.contains(char::is_alphabetic) {
        return Err(backtrack());
    }
    if n < 2.0 || length_unit_follows(input.trim_start()) {
        Err(backtrack())
    } else {
        Ok(Meaning::Count(n, Counted::Unsaid))
    }
}

fn pattern_name(input: &mut &str) -> ModalResult<()> {
    match vocabulary::phrase(input)? {
        Meaning::Pattern(_) => Ok(()),
        _ => Err(backtrack()),
    }
}

/// `aspect ratio 5`, `AR 5`, `5 AR`.
fn ratio(input: &mut &str) -> ModalResult<Meaning> {
    const NAME: &[&str] = &["aspect ratio", "aspect-ratio", "a.r.", "ar", "ratio"];
    let value = || number::amount.map(|amount| amount.value);
    let link = (multispace0, opt(alt(("of", "=", ":", "about"))), multispace0);
    // `AR5` is written together too.
    let name = alt((any_of(NAME).void(), ("ar", peek(digit1)).void()));
    // Of `aspect ratio of 5 mm rings` the number is a size.
    let led = (name, link, value(), whole_end).map(|(_, _, value, _)| value);
    let tailed = (value(), multispace0, any_of(NAME)).map(|(value, _, _)| value);
    alt((led, tailed)).map(Meaning::Ratio).parse_next(input)
}

/// `6 x 4`, `6x4mm`, `6 mm by 4 mm`: two sizes. `5 mm x 20` is not: the second has no unit and the first has.
fn across(input: &mut &str) -> ModalResult<Meaning> {
    let (first, before, _, after) =
        (length::typed, multispace0, alt(("×", "x", "by")), multispace0).parse_next(input)?;
    let number = peek(number::amount).parse_next(input)?.value;
    let second = length::typed(input)?;
    opt((multispace0, any_of(INSIDE))).parse_next(input)?;
    let spaced = !before.is_empty() || !after.is_empty();
    let named = peek((multispace0, alt((any_of(RINGS).void(), pattern_name)))).parse_next(input).is_ok();
    let counts = spaced && named;
    match (first, second) {
        // `6 × 4 mm`: the unit stands once, behind the second number.
        (Typed::Bare(n) | Typed::Fraction(n), Typed::Mm(mm)) => {
            Ok(Meaning::Across(Typed::Mm(n * mm / number), second, counts))
        }
        (Typed::Mm(_), Typed::Mm(_))
        | (Typed::Bare(_) | Typed::Fraction(_), Typed::Bare(_) | Typed::Fraction(_)) => {
            Ok(Meaning::Across(first, second, counts))
        }
        _ => Err(backtrack()),
    }
}

/// `20g` written together, from 10 to 30: makers write gauges so, and grams.
fn mass_or_gauge(input: &mut &str) -> ModalResult<Meaning> {
    let n = terminated(digit1.parse_to::<f64>(), ("g", word_end)).parse_next(input)?;
    if (10.0..=30.0).contains(&n) { Ok(Meaning::MassOrGauge(n)) } else { Err(backtrack()) }
}

/// Words for the inside of a ring.
const INSIDE: &[&str] = &[
    "inside diameter",
    "inner diameter",
    "internal diameter",
    "inside dia",
    "inside",
    "inner",
    "internal",
    "i.d.",
    "i.d",
    "id",
    "bore",
];

/// Words for the outside of a ring.
const OUTSIDE: &[&str] =
    &["outside diameter", "outer diameter", "outside dia", "outside", "outer", "o.d.", "o.d", "od"];

/// Words for the wire itself.
const WIRE: &[&str] = &["wire thickness", "wire diameter", "wire", "thick"];

/// A length with the words that say whose it is, before or after it.
fn tagged_length(input: &mut &str) -> ModalResult<Meaning> {
    const FROM: &[&str] = &["out of", "from", "have", "using", "off"];
    let link = || (multispace0, opt(alt(("of", "is", "=", ":", "ø"))), multispace0);
    // `from 50 g` is a weight.
    let from = || terminated(any_of(FROM), not((link(), mass::mass))).value(Role::From);
    let before = alt((role, from()));
    let led = (before, link(), length_alone).map(|(role, _, typed)| Meaning::Length(typed, role));
    alt((tailed_length, led)).parse_next(input)
}

/// Words that say whose a length is.
fn role(input: &mut &str) -> ModalResult<Role> {
    let inside = any_of(INSIDE).value(Role::Inside);
    alt((inside, any_of(OUTSIDE).value(Role::Outside), any_of(WIRE).value(Role::Wire))).parse_next(input)
}

fn tailed_length(input: &mut &str) -> ModalResult<Meaning> {
    let typed = length_alone(input)?;
    (multispace0, opt("ø ")).parse_next(input)?;
    let role = role(input)?;
    if belongs_to_the_next(typed, input) { Err(backtrack()) } else { Ok(Meaning::Length(typed, role)) }
}

/// Of `1 mm inside 4.5 mm` the word belongs to what follows it: a longer length without a word of its own. No ring
/// is smaller inside than its wire.
fn belongs_to_the_next(typed: Typed, mut rest: &str) -> bool {
    let next = preceded(multispace0, length_alone).parse_next(&mut rest);
    let own = preceded(multispace0, any_of(&["wire", "thick", "id", "od", "inside", "outside", "x"]))
        .parse_next(&mut rest);
    let longer = match (typed, next) {
        (Typed::Mm(here), Ok(Typed::Mm(next))) => next > here,
        (Typed::Gauge(..) | Typed::BareGauge(_), Ok(Typed::Mm(_))) => true,
        _ => false,
    };
    longer && own.is_err()
}

/// A length and the bracketed size in other units that may follow it.
pub(super) fn length_alone(input: &mut &str) -> ModalResult<Typed> {
    let typed = half(input).or_else(|_: winnow::error::ErrMode<_>| length::typed(input))?;
    // `1.02 mm (18 AWG)`: a gauge in brackets is the exact size that the millimetres round.
    let bracket = opt((multispace0, '(', length::typed, ')')).parse_next(input)?;
    Ok(match bracket {
        Some((_, _, gauge @ Typed::Gauge(..), _)) => gauge,
        Some((_, _, Typed::Mm(exact), _)) if matches!(typed, Typed::Mm(mm) if length::same_but_rounded(mm, exact)) => {
            Typed::Mm(exact)
        }
        _ => typed,
    })
}

/// `half a metre`, `half an inch`, `a metre`, `a foot`.
fn half(input: &mut &str) -> ModalResult<Typed> {
    let start = *input;
    let mut lead =
        alt((alt(("half a ", "half an ", "half-", "half ")).value(0.5), alt(("a ", "one ")).value(1.0)));
    let share: f64 = lead.parse_next(input)?;
    let unit = format!("1 {input}");
    let mut rest = unit.as_str();
    match length::typed(&mut rest) {
        Ok(Typed::Mm(mm)) => {
            *input = &input[input.len() - rest.len()..];
            Ok(Typed::Mm(share * mm))
        }
        _ => {
            *input = start;
            Err(backtrack())
        }
    }
}

/// `AWG 18`, before the system by itself is passed over.
fn named_gauge(input: &mut &str) -> ModalResult<Meaning> {
    let gauge = length_alone.verify(|typed| matches!(typed, Typed::Gauge(..)));
    gauge.map(|typed| Meaning::Length(typed, Role::Unsaid)).parse_next(input)
}

fn bare_length(input: &mut &str) -> ModalResult<Meaning> {
    let typed = length_alone(input)?;
    // Nothing may cling to a number: `5q` is not five.
    if matches!(typed, Typed::Bare(_) | Typed::Fraction(_)) {
        word_end(input)?;
    }
    Ok(Meaning::Length(typed, Role::Unsaid))
}
