//! Rods as makers speak of them: `5 mm drill shank`, `3/16 in dowel`, `8 × 5 mm oval rod with 2 layers of tape`.

use winnow::ascii::{digit1, multispace0};
use winnow::combinator::{alt, delimited, opt, peek, terminated};
use winnow::prelude::*;

use crate::fault::Fault;
use crate::tool::mandrel::{Mandrel, Shape};
use crate::tool::workshop::Workshop;
use crate::words::length::{self, Typed};
use crate::words::{backtrack, number, quoted, word_end};
use lorimant_text::text;

/// Names that every workshop calls a rod by.
pub(crate) const COMMON: [&str; 15] = [
    "drill shank",
    "drill bit",
    "knitting needle",
    "needle",
    "dowel",
    "drill",
    "shank",
    "mandrel",
    "rod",
    "pencil",
    "nail",
    "pen",
    "marker",
    "skewer",
    "tube",
];

/// Reads a whole text as a rod; the workshop's own where it has the one spoken of.
///
/// # Errors
/// A fault at `mandrel.diameter_mm` that shows how a rod can be written.
///
/// ```
/// use lorimant_core::reading::rod::read;
/// use lorimant_core::tool::{mandrel::Shape, workshop::Workshop};
///
/// let rod = read("6 mm hexagonal rod", &Workshop::default())?;
/// assert_eq!((rod.shape, rod.diameter_mm), (Shape::Hexagon, 6.0));
/// # Ok::<(), lorimant_core::fault::Fault>(())
/// ```
pub fn read(text: &str, workshop: &Workshop) -> Result<Mandrel, Fault> {
    let line = text.trim().to_lowercase();
    let mut rest = line.strip_prefix("on ").unwrap_or(&line);
    rest = rest.strip_prefix("the ").unwrap_or(rest);
    match rod(&mut rest, workshop) {
        Ok(rod) if rest.trim().is_empty() => Ok(meant(rod, workshop)),
        _ => {
            let message = text!("rod-not-rod-try-5-mm", text = quoted(text));
            Err(Fault::new("mandrel.diameter_mm", message))
        }
    }
}

/// `on the 5 mm drill shank with 2 layers of tape`.
pub(crate) fn on_the_rod(input: &mut &str, workshop: &Workshop) -> ModalResult<Mandrel> {
    let lead = alt(("on", "over", "around", "round a", "mandrel", "rod"));
    terminated(lead, word_end).parse_next(input)?;
    let article = terminated(alt(("the", "a", "an", "my")), word_end);
    (multispace0, opt(article), multispace0).parse_next(input)?;
    rod(input, workshop).map(|rod| meant(rod, workshop))
}

/// A rod that is named at once: `5 mm drill shank`.
pub(crate) fn named(input: &mut &str, workshop: &Workshop) -> ModalResult<Mandrel> {
    let found = rod(input, workshop)?;
    if found.name.is_none() {
        return Err(backtrack());
    }
    Ok(meant(found, workshop))
}

/// The workshop's own rod that was spoken of, or the rod as spoken.
fn meant(spoken: Mandrel, workshop: &Workshop) -> Mandrel {
    let tape_layers = spoken.tape_layers;
    let own = workshop.own(&spoken).cloned();
    Mandrel { tape_layers, ..own.unwrap_or(spoken) }
}

fn rod(input: &mut &str, workshop: &Workshop) -> ModalResult<Mandrel> {
    if let Some(known) = opt(super::numbered::numbered).parse_next(input)? {
        return Ok(known);
    }
    let (mut diameter_mm, mut short_mm) = across(input, workshop)?;
    // `0.236 × 0.165 in (6 × 4.2 mm)`: what stands in brackets is the same, and exact.
    let mut bracket = opt(delimited((multispace0, '('), |input: &mut &str| across(input, workshop), ')'));
    if let Some((exact, short)) = bracket.parse_next(input)?
        && length::same_but_rounded(diameter_mm, exact)
    {
        (diameter_mm, short_mm) = (exact, short.or(short_mm));
    }
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
    let name = name(input, workshop);
    let layers = opt((multispace0, "with", multispace0, digit1.parse_to::<u32>(), multispace0, tape))
        .parse_next(input)?
        .map_or(0, |(_, _, _, n, _, _)| n);
    Ok(Mandrel { name, shape, short_mm, tape_layers: layers, ..Mandrel::round(diameter_mm) })
}

/// One size, or the two of an oval, mm: `5 mm`, `8 × 5 mm`.
fn across(input: &mut &str, workshop: &Workshop) -> ModalResult<(f64, Option<f64>)> {
    let first = length::typed(input)?;
    let mut mark = (multispace0, alt(("×", "x")), multispace0);
    let mm = |typed: Typed| length::understand(typed, workshop.habits).map(|reading| reading.mm);
    if opt(mark.by_ref()).parse_next(input)?.is_none() {
        return Ok((mm(first).map_err(|_| backtrack())?, None));
    }
    let number = peek(number::amount).parse_next(input)?.value;
    let second = length::typed(input)?;
    let long = match (first, second) {
        // The unit stands once, behind the second number.
        (Typed::Bare(n) | Typed::Fraction(n), Typed::Mm(mm)) => n * mm / number,
        (first, _) => mm(first).map_err(|_| backtrack())?,
    };
    Ok((long, Some(mm(second).map_err(|_| backtrack())?)))
}

fn tape<'i>(input: &mut &'i str) -> ModalResult<&'i str> {
    alt(("layers of tape", "layer of tape", "layers", "layer")).parse_next(input)
}

/// A name the workshop gives one of its rods, or a common word for a rod.
fn name(input: &mut &str, workshop: &Workshop) -> Option<String> {
    let own = workshop.rods.iter().filter_map(|rod| rod.name.as_deref());
    let follows = |name: &str| {
        input.get(..name.len()).is_some_and(|head| head == name.to_lowercase())
            && !input[name.len()..].starts_with(|c: char| c.is_alphanumeric())
    };
    let name = own.chain(COMMON).filter(|name| follows(name)).max_by_key(|name| name.len())?;
    *input = &input[name.len()..];
    Some(name.to_owned())
}
