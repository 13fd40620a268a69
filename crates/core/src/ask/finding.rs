//! Asking about findings: pairs, dimensions by their label, and the answer.

use winnow::ascii::{digit1, multispace0};
use winnow::combinator::{alt, opt, terminated};
use winnow::prelude::*;

use super::answer::Answer;
use super::said::Said;
use super::{Meaning, length_alone, vocabulary};
use crate::length::{self, word_end};
use crate::metal::Temper;
use crate::pattern::change::pieces;
use crate::pattern::{BlankEnds, Kind, MOST_PIECES, Parameter, PatternRequest, Unit, capital};
use crate::section::Section;
use crate::wire::Wire;
use crate::workshop::Workshop;

type Fails = winnow::error::ErrMode<winnow::error::ContextError>;

fn backtrack() -> Fails {
    winnow::error::ErrMode::Backtrack(winnow::error::ContextError::new())
}

/// `24 pairs`, `1 pair of`; `304 hooks` too, though 304 alone is a steel.
pub(super) fn pieces_or_pairs(input: &mut &str) -> ModalResult<Meaning> {
    let n = digit1.parse_to::<f64>().parse_next(input)?;
    multispace0.parse_next(input)?;
    if !matches!(vocabulary::phrase(&mut &**input), Ok(Meaning::Pattern(_))) {
        terminated(alt(("pairs", "pair", "prs", "pr")), word_end).parse_next(input)?;
    }
    Ok(Meaning::Pieces(n))
}

/// A dimension of the pattern spoken of: `loop 2.2 mm`, `3mm loops`, `tip out 18°`, `loops touching`.
pub(super) fn dimension(input: &mut &str, kind: Option<Kind>, workshop: &Workshop) -> ModalResult<Meaning> {
    let Some(kind) = kind else { return Err(backtrack()) };
    // Longer labels first, so that `second loop` is not read as `loop`.
    let mut parameters: Vec<&'static Parameter> = kind.0.parameters.iter().collect();
    parameters.sort_by_key(|parameter| std::cmp::Reverse(parameter.label.len()));
    let start = *input;
    for parameter in parameters {
        for reading in [led, tailed, alone] {
            *input = start;
            if let Ok((value, several)) = reading(input, parameter, workshop) {
                return Ok(Meaning::Parameter(parameter, value, several));
            }
        }
    }
    *input = start;
    Err(backtrack())
}

/// The parameter's label; whether it was said of several.
fn label(input: &mut &str, parameter: &Parameter) -> ModalResult<bool> {
    let lower = parameter.label.to_lowercase();
    if !input.starts_with(&lower) {
        return Err(backtrack());
    }
    *input = &input[lower.len()..];
    let several = opt("s").parse_next(input)?.is_some();
    word_end(input)?;
    Ok(several)
}

fn value(input: &mut &str, parameter: &Parameter, workshop: &Workshop) -> ModalResult<f64> {
    match parameter.unit {
        Unit::Mm => {
            let typed = length_alone(input)?;
            length::understand(typed, workshop.habits).map(|reading| reading.mm).map_err(|_| backtrack())
        }
        Unit::Deg => {
            terminated(length::amount, opt((multispace0, alt(("degrees", "deg", "°"))))).parse_next(input)
        }
        Unit::Turns => length::amount.parse_next(input),
        Unit::Choice => {
            let found = parameter.options.iter().position(|option| input.starts_with(&option.to_lowercase()));
            let index = found.ok_or_else(backtrack)?;
            *input = &input[parameter.options[index].len()..];
            #[expect(clippy::cast_precision_loss, reason = "a handful")]
            Ok(index as f64)
        }
    }
}

fn led(input: &mut &str, parameter: &Parameter, workshop: &Workshop) -> ModalResult<(f64, bool)> {
    let several = label(input, parameter)?;
    multispace0.parse_next(input)?;
    Ok((value(input, parameter, workshop)?, several))
}

fn tailed(input: &mut &str, parameter: &Parameter, workshop: &Workshop) -> ModalResult<(f64, bool)> {
    if parameter.unit == Unit::Choice {
        return Err(backtrack());
    }
    let value = value(input, parameter, workshop)?;
    multispace0.parse_next(input)?;
    // `1 paddle head pin` counts pins.
    if let Ok(Meaning::Pattern(_)) = vocabulary::phrase(&mut &**input) {
        return Err(backtrack());
    }
    Ok((value, label(input, parameter)?))
}

/// What needs no number: a choice, or the words for none.
fn alone(input: &mut &str, parameter: &Parameter, workshop: &Workshop) -> ModalResult<(f64, bool)> {
    if let Some(none) = parameter.none.map(str::to_lowercase)
        && input.starts_with(&none)
    {
        *input = &input[none.len()..];
        return Ok((0.0, false));
    }
    if parameter.unit == Unit::Choice {
        return Ok((value(input, parameter, workshop)?, false));
    }
    Err(backtrack())
}

impl Said {
    /// Answers about a finding: the wire and dimensions that were said, the usual ones for the rest.
    pub(super) fn answer_finding(&self, kind: Kind, workshop: &Workshop, reply: &mut Answer) {
        let usual = kind.0.usual();
        if self.wire.metal.is_none() {
            reply.assumed.push(format!("No metal is given: {} is taken, as usual for it.", usual.metal));
        }
        if self.wire.size_mm.is_none() {
            let size = usual.size_shown(workshop.habits.unit);
            reply.assumed.push(format!("No wire size is given: {size} is taken, as usual for it."));
        }
        let temper = match (self.wire.temper, self.wire.metal) {
            (Some(temper), _) => temper,
            (None, Some(_)) => {
                reply.assumed.push("No temper is given: unlabelled wire is nearly always soft.".to_owned());
                Temper::Soft
            }
            (None, None) => usual.temper,
        };
        let count = self.count.unwrap_or(1.0);
        if count > f64::from(MOST_PIECES) {
            let said = format!(
                "{count:.0} pieces are more than can be planned at once. Ask for at most {MOST_PIECES}."
            );
            reply.faults.push(crate::fault::Fault::new("pieces_n", said).limit(f64::from(MOST_PIECES)));
            return;
        }
        #[expect(
            clippy::cast_possible_truncation,
            clippy::cast_sign_loss,
            reason = "digits only, and not too many"
        )]
        let pieces_n = count as u32;
        let request = PatternRequest {
            kind,
            parameters: self.parameters.clone(),
            wire: Wire {
                metal: self.wire.metal.unwrap_or(usual.metal),
                section: self.wire.section.unwrap_or(Section::Round),
                size_mm: self.wire.size_mm.unwrap_or(usual.size_mm),
                temper,
            },
            pieces_n,
            mirrored: self.mirrored,
            plier: None,
            ends: BlankEnds::default(),
        };
        reply.sentence = pieces(&request, workshop.habits.unit);
        match request.form_with(workshop) {
            Err(faults) => reply.faults.extend(faults.0),
            Ok(formed) => {
                let blank = formed.blank(workshop.habits.unit);
                let n = request.blanks_n();
                let marks: Vec<String> = formed
                    .marks(&blank, &formed.tools(workshop))
                    .iter()
                    .map(|mark| length::shown(mark.at_mm, 1))
                    .collect();
                reply.headline = format!(
                    "{}: cut {n} of {}, mark at {} mm; {:.2} m of wire.",
                    capital(kind.0.plural),
                    blank.line(workshop.habits.unit),
                    marks.join(", "),
                    f64::from(n) * blank.cut_mm / 1000.0
                );
                reply.figures = formed.figures(&blank, workshop.habits.unit);
            }
        }
        reply.pattern = Some(request);
    }
}
