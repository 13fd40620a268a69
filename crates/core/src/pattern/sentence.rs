//! A pattern's sentence: the words it is stated in, and which input each writes to.

use super::{Parameter, PatternRequest, Unit};
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{LengthUnit, inch_fraction, shown};
use crate::words::sentence::Phrase;
use lorimant_text::text;

const WIRE_SLOTS: [(&str, &str); 4] = [
    ("temper", "wire.temper"),
    ("metal", "wire.metal"),
    ("section", "wire.section"),
    ("size", "wire.size_mm"),
];

fn word(text: String, slot: &'static str, field: String) -> Phrase {
    Phrase { text, slot: Some(slot), field: Some(field) }
}

fn between(text: impl Into<String>) -> Phrase {
    Phrase { text: text.into(), slot: None, field: None }
}

/// A parameter's value as the sentence says it.
pub(super) fn value_text(parameter: &Parameter, value: f64, unit: LengthUnit) -> String {
    if value == 0.0
        && let Some(none) = parameter.none
    {
        return none.to_string();
    }
    match parameter.unit {
        Unit::Mm if unit == LengthUnit::Inch => match inch_fraction(value) {
            Some(fraction) => text!("pattern-sentence-in", fraction),
            None => text!("pattern-sentence-in-2", mm_per_inch = shown(value / MM_PER_INCH, 3)),
        },
        Unit::Mm => text!("pattern-sentence-mm", shown = shown(value, 3)),
        Unit::Deg => format!("{}°", shown(value, 1)),
        Unit::Turns => shown(value, 2),
        Unit::Choice => {
            #[expect(
                clippy::cast_possible_truncation,
                clippy::cast_sign_loss,
                reason = "a small whole number or 0"
            )]
            let index = value.max(0.0) as usize;
            parameter.options.get(index).copied().unwrap_or_default().to_string()
        }
    }
}

/// Writes a request as a sentence whose words are its inputs.
pub fn write(request: &PatternRequest, unit: LengthUnit) -> Vec<Phrase> {
    let (pattern, wire) = (request.kind.0, &request.wire);
    let n = request.pieces_n;
    let count = match (request.in_pairs(), n) {
        (true, 1) => text!("pattern-sentence-1-pair").to_owned(),
        (true, n) => text!("pattern-sentence-pairs", n),
        (false, n) if pattern.paired => text!("pattern-sentence-single", n),
        (false, n) => n.to_string(),
    };
    let many = n != 1 || request.in_pairs();
    let name = if many { pattern.plural } else { pattern.name };
    let mut phrases = vec![
        word(count, "pieces", "pieces_n".to_owned()),
        between(" "),
        word(name.to_owned().to_string(), "kind", "kind".to_owned()),
        between(text!("sentence-in")),
    ];
    let texts = [
        wire.temper.shown().to_owned(),
        wire.metal_shown(),
        wire.section.shown().to_owned(),
        wire.size_shown(unit),
    ];
    for (i, ((slot, field), text)) in WIRE_SLOTS.into_iter().zip(texts).enumerate() {
        if i > 0 {
            phrases.push(between(if slot == "section" { ", " } else { " " }));
        }
        phrases.push(word(text, slot, field.to_owned()));
    }
    if let Some(lot) = wire.lot {
        phrases.push(between(", "));
        phrases.push(word(lot.shown(), "lot", "wire.lot.lot_n".to_owned()));
    }
    for (i, parameter) in pattern.parameters.iter().enumerate() {
        let value = request.value(parameter.name);
        phrases.push(between(if i == 0 { ": " } else { ", " }));
        let bare = parameter.unit == Unit::Choice && parameter.name != "counted"
            || (value == 0.0 && parameter.none.is_some());
        if !bare {
            phrases.push(between(format!("{} ", parameter.label)));
        }
        phrases.push(word(
            value_text(parameter, value, unit),
            parameter.name,
            format!("parameters.{}", parameter.name),
        ));
    }
    if let Some(plier) = &request.plier {
        phrases.push(between(text!("pattern-sentence-rolled-on")));
        phrases.push(word(plier.clone(), "plier", "plier".to_owned()));
    }
    if request.mirrored {
        phrases.push(between(", "));
        phrases.push(word("mirrored".to_owned(), "hand", "mirrored".to_owned()));
    }
    phrases.push(between("."));
    phrases
}
