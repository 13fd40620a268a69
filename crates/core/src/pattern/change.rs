//! A pattern's sentence, and changing one word of it.

use super::{Kind, Parameter, PatternRequest, Unit};
use crate::ask::{self, Meaning};
use crate::fault::{Fault, Faults};
use crate::gauge::MM_PER_INCH;
use crate::length::{self, LengthUnit, shown};
use crate::metal::{Metal, Temper};
use crate::section::Section;
use crate::sentence::{Change, Choice, Piece, next};
use crate::workshop::{Workshop, inch_fraction};

const WIRE_SLOTS: [(&str, &str); 4] = [
    ("temper", "wire.temper"),
    ("metal", "wire.metal"),
    ("section", "wire.section"),
    ("size", "wire.size_mm"),
];

fn word(text: String, slot: &'static str, field: String) -> Piece {
    Piece { text, slot: Some(slot), field: Some(field) }
}

fn between(text: impl Into<String>) -> Piece {
    Piece { text: text.into(), slot: None, field: None }
}

/// A parameter's value as the sentence says it.
fn value_text(parameter: &Parameter, value: f64, unit: LengthUnit) -> String {
    if value == 0.0
        && let Some(none) = parameter.none
    {
        return none.to_owned();
    }
    match parameter.unit {
        Unit::Mm if unit == LengthUnit::Inch => match inch_fraction(value) {
            Some(fraction) => format!("{fraction} in"),
            None => format!("{} in", shown(value / MM_PER_INCH, 3)),
        },
        Unit::Mm => format!("{} mm", shown(value, 3)),
        Unit::Deg => format!("{}°", shown(value, 1)),
        Unit::Turns => shown(value, 2),
        Unit::Choice => {
            #[expect(
                clippy::cast_possible_truncation,
                clippy::cast_sign_loss,
                reason = "a small whole number or 0"
            )]
            let index = value.max(0.0) as usize;
            parameter.options.get(index).copied().unwrap_or("?").to_owned()
        }
    }
}

/// Writes a request as a sentence whose words are its inputs.
pub fn pieces(request: &PatternRequest, unit: LengthUnit) -> Vec<Piece> {
    let (pattern, wire) = (request.kind.0, &request.wire);
    let n = request.pieces_n;
    let count = match (pattern.paired && pattern.kind != "folded-pair", n) {
        (true, 1) => "1 pair of".to_owned(),
        (true, n) => format!("{n} pairs of"),
        (false, n) => n.to_string(),
    };
    let many = n != 1 || (pattern.paired && pattern.kind != "folded-pair");
    let name = if many { pattern.plural } else { pattern.name };
    let mut said = vec![
        word(count, "pieces", "pieces_n".to_owned()),
        between(" "),
        word(name.to_owned(), "kind", "kind".to_owned()),
        between(" in "),
    ];
    let texts = [
        wire.temper.shown().to_owned(),
        wire.metal.shown().to_owned(),
        wire.section.shown().to_owned(),
        wire.size_shown(unit),
    ];
    for (i, ((slot, field), text)) in WIRE_SLOTS.into_iter().zip(texts).enumerate() {
        if i > 0 {
            said.push(between(if slot == "section" { ", " } else { " " }));
        }
        said.push(word(text, slot, field.to_owned()));
    }
    for (i, parameter) in pattern.parameters.iter().enumerate() {
        let value = request.value(parameter.name);
        said.push(between(if i == 0 { ": " } else { ", " }));
        let bare = parameter.unit == Unit::Choice && parameter.label != "wraps counted as"
            || (value == 0.0 && parameter.none.is_some());
        if !bare {
            said.push(between(format!("{} ", parameter.label)));
        }
        said.push(word(
            value_text(parameter, value, unit),
            parameter.name,
            format!("parameters.{}", parameter.name),
        ));
    }
    if let Some(plier) = &request.plier {
        said.push(between(", rolled on the "));
        said.push(word(plier.clone(), "plier", "plier".to_owned()));
    }
    if request.mirrored {
        said.push(between(", "));
        said.push(word("mirrored".to_owned(), "hand", "mirrored".to_owned()));
    }
    said.push(between("."));
    said
}

/// The sentence as plain text.
pub fn text_of(pieces: &[Piece]) -> String {
    pieces.iter().map(|piece| piece.text.as_str()).collect()
}

/// Reads a value for a parameter as people type it.
///
/// # Errors
/// A fault at the parameter when it cannot be read.
pub fn read_value(parameter: &Parameter, text: &str, workshop: &Workshop) -> Result<f64, Fault> {
    let field = format!("parameters.{}", parameter.name);
    let typed = text.trim().to_lowercase();
    let shown: String = text.trim().chars().take(40).collect();
    if let Some(none) = parameter.none
        && (typed == none.to_lowercase() || typed == "none" || typed == "no" || typed == "0")
    {
        return Ok(0.0);
    }
    match parameter.unit {
        Unit::Mm => length::read(text, workshop.habits)
            .map(|reading| reading.mm)
            .map_err(|said| Fault::new(field, said)),
        Unit::Deg | Unit::Turns => {
            let digits = typed.trim_end_matches("degrees").trim_end_matches("deg").trim_end_matches('°');
            let digits =
                digits.trim_end_matches("turns").trim_end_matches("turn").trim_end_matches("wraps").trim();
            let mut rest = digits;
            let number = length::amount(&mut rest).ok().filter(|_| rest.trim().is_empty());
            number.ok_or_else(|| {
                let try_this = if parameter.unit == Unit::Deg { "18 or 18°" } else { "2.5 or 2 1/2" };
                Fault::new(
                    field,
                    format!("“{shown}” is not a number for the {}. Try {try_this}.", parameter.label),
                )
            })
        }
        Unit::Choice => {
            let found = parameter.options.iter().position(|option| option.to_lowercase() == typed);
            #[expect(clippy::cast_precision_loss, reason = "a handful")]
            found.map(|i| i as f64).ok_or_else(|| {
                let known = parameter.options.join(", ");
                Fault::new(
                    field,
                    format!("“{shown}” is not a way for the {}. Known: {known}.", parameter.label),
                )
            })
        }
    }
}

impl PatternRequest {
    /// The request with one word changed. The result may still have faults that forming finds.
    ///
    /// # Errors
    /// A fault at the word's field when there is no such word or what was typed cannot be read there.
    pub fn changed(&self, slot: &str, change: &Change, workshop: &Workshop) -> Result<Self, Faults> {
        if let Some(parameter) = self.kind.0.parameter(slot) {
            let value = match change {
                Change::Typed(text) => read_value(parameter, text, workshop)?,
                Change::Nudge(steps) => nudged(parameter, self.value(slot), *steps, workshop.habits.unit),
            };
            let mut changed = self.clone();
            changed.parameters.insert(slot.to_owned(), value);
            return Ok(changed);
        }
        match change {
            Change::Typed(text) => self.word_typed(slot, text, workshop).map_err(Faults::from),
            Change::Nudge(steps) => self.word_nudged(slot, *steps, workshop).map_err(Faults::from),
        }
    }

    /// The request for another pattern: same wire, count and tools; dimensions both have are kept.
    pub fn of_kind(&self, kind: Kind) -> Self {
        let kept = self.parameters.iter().filter(|(name, value)| {
            kind.0.parameter(name).is_some_and(|parameter| parameter.check(**value).is_ok())
        });
        let parameters = kept.map(|(name, value)| (name.clone(), *value)).collect();
        Self { kind, parameters, ..self.clone() }
    }

    fn word_typed(&self, slot: &str, text: &str, workshop: &Workshop) -> Result<Self, Fault> {
        let mut changed = self.clone();
        let unknown = |field: &str, what: &str, known: &[&str]| {
            let shown: String = text.trim().chars().take(40).collect();
            let hint = crate::words::closest(&shown, known.iter().copied());
            let hint = hint.map_or(String::new(), |word| format!(" Did you mean “{word}”?"));
            Fault::new(
                field,
                format!("“{shown}” is not a {what} known here.{hint} Known: {}.", known.join(", ")),
            )
        };
        match slot {
            "pieces" => {
                let typed = text.trim().to_lowercase();
                let digits = typed
                    .trim_end_matches("of")
                    .trim_end()
                    .trim_end_matches("pairs")
                    .trim_end_matches("pair")
                    .trim_end_matches("pieces")
                    .trim();
                changed.pieces_n = digits.parse().map_err(|_| {
                    let shown: String = text.trim().chars().take(30).collect();
                    let said = format!(
                        "“{shown}” is not a whole number. Type a count from 1 to {}.",
                        super::MOST_PIECES
                    );
                    Fault::new("pieces_n", said)
                })?;
            }
            "size" => {
                changed.wire.size_mm =
                    length::read(text, workshop.habits).map_err(|said| Fault::new("wire.size_mm", said))?.mm;
            }
            "temper" => match ask::exactly(text) {
                Some(Meaning::Temper(temper)) => changed.wire.temper = temper,
                _ => {
                    return Err(unknown(
                        "wire.temper",
                        "temper",
                        &Temper::ALL.iter().map(|t| t.shown()).collect::<Vec<_>>(),
                    ));
                }
            },
            "metal" => match ask::exactly(text) {
                Some(Meaning::Metal(metal)) => changed.wire.metal = metal,
                _ => {
                    return Err(unknown(
                        "wire.metal",
                        "metal",
                        &Metal::ALL.iter().map(|m| m.shown()).collect::<Vec<_>>(),
                    ));
                }
            },
            "section" => match ask::exactly(text) {
                Some(Meaning::Section(section)) => changed.wire.section = section,
                _ => {
                    return Err(unknown(
                        "wire.section",
                        "section",
                        &Section::ALL.iter().map(|s| s.shown()).collect::<Vec<_>>(),
                    ));
                }
            },
            "kind" => match ask::exactly(text) {
                Some(Meaning::Pattern(kind)) => changed = changed.of_kind(kind),
                _ => {
                    return Err(unknown(
                        "kind",
                        "pattern",
                        &Kind::all().map(|k| k.0.name).collect::<Vec<_>>(),
                    ));
                }
            },
            "plier" => {
                let name = text.trim();
                changed.plier = (!name.is_empty()).then(|| name.to_owned());
            }
            "hand" => {
                changed.mirrored = !matches!(
                    text.trim().to_lowercase().as_str(),
                    "" | "no" | "not mirrored" | "right-handed"
                )
            }
            other => return Err(self.no_such_word(other)),
        }
        Ok(changed)
    }

    fn no_such_word(&self, slot: &str) -> Fault {
        let shown: String = slot.chars().take(40).collect();
        let own: Vec<&str> = self.kind.0.parameters.iter().map(|p| p.name).collect();
        let said = format!(
            "“{shown}” is no word of this sentence. Known: pieces, kind, temper, metal, section, size, plier, hand, {}.",
            own.join(", ")
        );
        Fault::new("slot", said)
    }

    fn word_nudged(&self, slot: &str, steps: i32, workshop: &Workshop) -> Result<Self, Fault> {
        let mut changed = self.clone();
        match slot {
            "pieces" => changed.pieces_n = self.pieces_n.saturating_add_signed(steps).max(1),
            "size" => {
                let step = ruler_nudge(workshop.habits.unit);
                changed.wire.size_mm = on_step(self.wire.size_mm, step, steps);
            }
            "temper" => changed.wire.temper = next(Temper::ALL, self.wire.temper, steps),
            "metal" => changed.wire.metal = next(Metal::ALL, self.wire.metal, steps),
            "section" => changed.wire.section = next(Section::ALL, self.wire.section, steps),
            "kind" => {
                let all: Vec<Kind> = Kind::all().collect();
                changed = changed.of_kind(next(&all, self.kind, steps));
            }
            "plier" => {
                let own: Vec<Option<String>> = std::iter::once(None)
                    .chain(workshop.pliers.iter().map(|p| Some(p.name.clone())))
                    .collect();
                let at = own.iter().position(|name| *name == self.plier).unwrap_or(0);
                let to = at.saturating_add_signed(steps as isize).min(own.len() - 1);
                changed.plier = own.get(to).cloned().flatten();
            }
            "hand" => changed.mirrored = !self.mirrored,
            other => return Err(self.no_such_word(other)),
        }
        Ok(changed)
    }

    /// What a word could be instead, each with what it would change. Sizes and counts are typed, so
    /// they offer nothing.
    pub fn choices(&self, slot: &str, workshop: &Workshop) -> Vec<Choice<Self>> {
        let with = |label: String, request: Self| {
            let (possible, effect) = effect(&request, workshop);
            Choice { label, effect, chosen: request == *self, possible, request }
        };
        let wire = |change: &dyn Fn(&mut Self)| {
            let mut request = self.clone();
            change(&mut request);
            request
        };
        if let Some(parameter) = self.kind.0.parameter(slot) {
            let options = parameter.options.iter().enumerate();
            let mut choices: Vec<Choice<Self>> = options
                .map(|(i, option)| {
                    #[expect(clippy::cast_precision_loss, reason = "a handful")]
                    let request = wire(&|r| {
                        r.parameters.insert(slot.to_owned(), i as f64);
                    });
                    with((*option).to_owned(), request)
                })
                .collect();
            for choice in &mut choices {
                choice.chosen = (choice.request.value(slot) - self.value(slot)).abs() < 1e-9;
            }
            return choices;
        }
        match slot {
            "temper" => Temper::ALL
                .iter()
                .map(|t| with(t.shown().to_owned(), wire(&|r| r.wire.temper = *t)))
                .collect(),
            "metal" => {
                Metal::ALL.iter().map(|m| with(m.shown().to_owned(), wire(&|r| r.wire.metal = *m))).collect()
            }
            "section" => Section::ALL
                .iter()
                .map(|s| with(s.shown().to_owned(), wire(&|r| r.wire.section = *s)))
                .collect(),
            "kind" => Kind::all()
                .map(|kind| Choice {
                    chosen: kind == self.kind,
                    ..with(kind.0.name.to_owned(), self.of_kind(kind))
                })
                .collect(),
            "plier" => {
                let mut choices =
                    vec![with("whatever suits each bend".to_owned(), wire(&|r| r.plier = None))];
                let own = workshop.pliers.iter();
                choices.extend(own.map(|p| with(p.name.clone(), wire(&|r| r.plier = Some(p.name.clone())))));
                choices
            }
            "hand" => vec![
                with("right-handed, as drawn".to_owned(), wire(&|r| r.mirrored = false)),
                with("mirrored".to_owned(), wire(&|r| r.mirrored = true)),
            ],
            _ => vec![],
        }
    }
}

/// Whether a request can be made, and what it would give in a few words.
fn effect(request: &PatternRequest, workshop: &Workshop) -> (bool, String) {
    match request.form_with(workshop) {
        Err(faults) => (false, faults.0.first().map_or(String::new(), |fault| fault.sentence.clone())),
        Ok(formed) => {
            let blank = formed.blank(workshop.habits.unit);
            let used = (0..formed.design.segments.len()).map(|i| formed.strain_used(i)).fold(0.0, f64::max);
            let gives = formed.weakest(0.0).map_or(String::new(), |(_, n)| format!(", gives at {n:.1} N"));
            let blank = super::step::said(blank.cut_mm, workshop.habits.unit);
            (true, format!("blank {blank}{gives}, uses {:.0} % of its stretch", 100.0 * used))
        }
    }
}

fn ruler_nudge(unit: LengthUnit) -> f64 {
    match unit {
        LengthUnit::Mm => 0.1,
        LengthUnit::Inch => MM_PER_INCH / 64.0,
    }
}

/// A length some steps on, on whole steps and never nothing.
fn on_step(mm: f64, step: f64, steps: i32) -> f64 {
    (((mm / step).round() + f64::from(steps)).max(1.0) * step * 1e6).round() / 1e6
}

fn nudged(parameter: &Parameter, value: f64, steps: i32, unit: LengthUnit) -> f64 {
    let moved = match parameter.unit {
        Unit::Mm => on_step(value, ruler_nudge(unit), steps),
        Unit::Deg => value.round() + f64::from(steps),
        Unit::Turns => ((value * 2.0).round() + f64::from(steps)) / 2.0,
        Unit::Choice => value + f64::from(steps),
    };
    let least = if parameter.none.is_some() && moved < parameter.min { 0.0 } else { parameter.min };
    moved.clamp(least, parameter.max)
}
