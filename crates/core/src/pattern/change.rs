//! Changing one word of a pattern's sentence: by choice, by typing, by a nudge.

use super::{Kind, Parameter, PatternRequest, Unit};
use crate::fault::{Fault, Faults};
use crate::reading::{self, Word};
use crate::tool::workshop::Workshop;
use crate::wire::lot::LotFactor;
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::Section;
use crate::wire::strength::load_told;
use crate::words::length::{self, LengthUnit, on_ruler};
use crate::words::sentence::{Change, Choice, next};
use crate::words::{self, number, quoted};
use lorimant_text::{fixed, text};

/// Reads a value for a parameter as people type it.
///
/// # Errors
/// A fault at the parameter when it cannot be read.
pub fn read_value(parameter: &Parameter, text: &str, workshop: &Workshop) -> Result<f64, Fault> {
    let field = format!("parameters.{}", parameter.name);
    let typed = text.trim().to_lowercase();
    if let Some(none) = parameter.none
        && (typed == none.to_lowercase() || typed == "none" || typed == "no" || typed == "0")
    {
        return Ok(0.0);
    }
    match parameter.unit {
        Unit::Mm => length::read(text, workshop.habits)
            .map(|reading| reading.mm)
            .map_err(|message| Fault::new(field, message)),
        Unit::Deg | Unit::Turns => {
            let digits = typed.trim_end_matches("degrees").trim_end_matches("deg").trim_end_matches('°');
            let digits =
                digits.trim_end_matches("turns").trim_end_matches("turn").trim_end_matches("wraps").trim();
            number::read(digits).ok_or_else(|| {
                let try_this = if parameter.unit == Unit::Deg {
                    text!("pattern-change-18-or-18")
                } else {
                    text!("pattern-change-2-5-or-2-1")
                };
                Fault::new(
                    field,
                    text!(
                        "pattern-change-not-number-for-try",
                        text = quoted(text),
                        label = parameter.label,
                        try_this
                    ),
                )
            })
        }
        Unit::Choice => {
            let found = parameter.options.iter().position(|option| option.to_lowercase() == typed);
            #[expect(clippy::cast_precision_loss, reason = "a handful")]
            found.map(|i| i as f64).ok_or_else(|| {
                let known =
                    parameter.options.iter().map(|option| option.as_str()).collect::<Vec<_>>().join(", ");
                Fault::new(
                    field,
                    text!(
                        "pattern-change-not-option-for-known",
                        text = quoted(text),
                        label = parameter.label,
                        known
                    ),
                )
            })
        }
    }
}

impl PatternRequest {
    /// The request with one word changed. The result may still have faults that forming finds.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::words::sentence::Change;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let wider = hook.changed("eye_mm", &Change::Typed("5/32 in".into()), &Workshop::default()).unwrap();
    /// assert!((wider.value("eye_mm") - 3.968_75).abs() < 1e-9);
    /// ```
    ///
    /// # Errors
    /// A fault at the word's field when there is no such word or what was typed cannot be read there.
    pub fn changed(&self, slot: &str, change: &Change, workshop: &Workshop) -> Result<Self, Faults> {
        if let Some(parameter) = self.kind.0.parameter(slot) {
            let value = match change {
                Change::Typed(text) => read_value(parameter, text, workshop)?,
                Change::Nudge(steps) => nudged(parameter, self.value(slot), *steps, workshop.habits.unit),
                Change::Pulled(mm) => pulled(parameter, self.value(slot), *mm, workshop.habits.unit)?,
            };
            let mut changed = self.clone();
            changed.parameters.insert(slot.to_owned(), value);
            return Ok(changed);
        }
        let mut changed = match change {
            Change::Typed(text) => self.word_typed(slot, text, workshop)?,
            Change::Nudge(steps) => self.word_nudged(slot, *steps, workshop)?,
            Change::Pulled(_) => return Err(not_pulled(slot).into()),
        };
        // Another wire is not of the lot that was named.
        if !changed.wire.stands_for(&self.wire) {
            changed.wire.lot = None;
        }
        Ok(changed)
    }

    /// The same with what the workshop knows of its lot by now.
    #[must_use]
    pub fn known(mut self, workshop: &Workshop) -> Self {
        workshop.knows(&mut self.wire);
        self
    }

    /// The request for another pattern: same wire, count and tools; dimensions both have are kept.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let other = hook.of_kind("s-clasp".parse().unwrap());
    /// assert_eq!(other.wire, hook.wire);
    /// ```
    pub fn of_kind(&self, kind: Kind) -> Self {
        let kept = self.parameters.iter().filter(|(name, value)| {
            kind.0.parameter(name).is_some_and(|parameter| parameter.check(**value).is_ok())
        });
        let parameters = kept.map(|(name, value)| (name.clone(), *value)).collect();
        Self { kind, parameters, ..self.clone() }
    }

    fn word_typed(&self, slot: &str, text: &str, workshop: &Workshop) -> Result<Self, Fault> {
        let mut changed = self.clone();
        let unknown =
            |field: &str, what: &str, known: &[&str]| Fault::new(field, words::unknown(what, text, known));
        match slot {
            "pieces" => {
                let (pieces_n, singly) = read_pieces(text, self.count_singles)?;
                (changed.pieces_n, changed.count_singles) = (pieces_n, singly && self.kind.0.paired);
            }
            "size" => {
                let read = length::read_size(text, workshop.habits);
                changed.wire.size_mm = read.map_err(|message| Fault::new("wire.size_mm", message))?.mm;
            }
            "lot" => changed.wire.lot = LotFactor::read(text)?.map(|lot_n| workshop.lot(lot_n)),
            "temper" => match reading::exactly(text) {
                Some(Word::Temper(temper)) => changed.wire.temper = temper,
                _ => {
                    return Err(unknown(
                        "wire.temper",
                        "temper",
                        &Temper::ALL.iter().map(|t| t.shown()).collect::<Vec<_>>(),
                    ));
                }
            },
            "metal" => match reading::covered_metal(text) {
                Some(metal) => changed.wire = changed.wire.in_metal(metal),
                None => {
                    return Err(unknown(
                        "wire.metal",
                        "metal",
                        &Metal::ALL.iter().map(|m| m.shown()).collect::<Vec<_>>(),
                    ));
                }
            },
            "section" => match reading::exactly(text) {
                Some(Word::Section(section)) => changed.wire.section = section,
                _ => {
                    return Err(unknown(
                        "wire.section",
                        "section",
                        &Section::ALL.iter().map(|s| s.shown()).collect::<Vec<_>>(),
                    ));
                }
            },
            "kind" => match Kind::called(text) {
                Some(kind) => changed = changed.of_kind(kind),
                _ => {
                    return Err(unknown(
                        "kind",
                        "pattern",
                        &Kind::all().map(|k| k.0.name.as_str()).collect::<Vec<_>>(),
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
        let own: Vec<&str> = self.kind.0.parameters.iter().map(|p| p.name).collect();
        let message =
            text!("pattern-change-not-word-this-sentence-known", slot = quoted(slot), own = own.join(", "));
        Fault::new("slot", message)
    }

    fn word_nudged(&self, slot: &str, steps: i32, workshop: &Workshop) -> Result<Self, Fault> {
        let mut changed = self.clone();
        match slot {
            "pieces" => changed.pieces_n = self.pieces_n.saturating_add_signed(steps).max(1),
            "size" => changed.wire.size_mm = self.wire.size_nudged(steps, workshop.habits),
            "lot" => {}
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
            let chosen = request == *self;
            Choice::of(label, effect, chosen, possible, request)
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
                    with((*option).to_owned().to_string(), request)
                })
                .collect();
            for choice in &mut choices {
                choice.chosen = (choice.request.value(slot) - self.value(slot)).abs() < 1e-9;
            }
            return choices;
        }
        match slot {
            "making" => self.making_choices(workshop),
            "size" if workshop.lots_of(&self.wire).next().is_none() => vec![],
            "lot" | "size" => std::iter::once(None)
                .chain(workshop.lots_of(&self.wire).map(Some))
                .map(|lot| {
                    let label = lot
                        .map_or(text!("pattern-change-not-from-spool-in-stock").to_owned(), LotFactor::shown);
                    let told =
                        lot.map_or(text!("pattern-change-15-as-in-handbooks").to_owned(), LotFactor::told);
                    let choice = with(label, wire(&|r| r.wire.lot = lot));
                    Choice { effect: format!("{}: {told}", choice.effect), ..choice }
                })
                .collect(),
            "temper" => Temper::ALL
                .iter()
                .map(|t| with(t.shown().to_owned(), wire(&|r| r.wire.temper = *t)))
                .collect(),
            "metal" => {
                let metals =
                    Metal::ALL.iter().map(|m| with(m.shown().to_owned(), wire(&|r| r.wire.metal = *m)));
                let surfaces = self.wire.other_surfaces();
                let covered =
                    surfaces.map(|s| with(text!("pattern-change-wire", s), wire(&|r| r.wire.surface = s)));
                metals.chain(covered).collect()
            }
            "section" => Section::ALL
                .iter()
                .map(|s| with(s.shown().to_owned(), wire(&|r| r.wire.section = *s)))
                .collect(),
            "kind" => Kind::all()
                .map(|kind| Choice {
                    chosen: kind == self.kind,
                    ..with(kind.0.name.to_owned().to_string(), self.of_kind(kind))
                })
                .collect(),
            "plier" => {
                let mut choices = vec![with(
                    text!("pattern-change-best-for-each-bend").to_owned(),
                    wire(&|r| r.plier = None),
                )];
                let own = workshop.pliers.iter();
                choices.extend(own.map(|p| with(p.name.clone(), wire(&|r| r.plier = Some(p.name.clone())))));
                choices
            }
            "hand" => vec![
                with(text!("pattern-change-right-handed-as-drawn").to_owned(), wire(&|r| r.mirrored = false)),
                with("mirrored".to_owned(), wire(&|r| r.mirrored = true)),
            ],
            _ => vec![],
        }
    }
}

/// Whether a request can be made, and what it would give in a few words.
fn effect(request: &PatternRequest, workshop: &Workshop) -> (bool, String) {
    match request.finished(workshop) {
        Err(faults) => (false, faults.0.first().map_or(String::new(), |fault| fault.message.clone())),
        Ok(finished) => {
            let used = finished.tightest().map_or(0.0, |(_, share)| share);
            let load = finished.holds().map(|holds| load_told(holds.pulls_open_n));
            let gives = load.map_or(String::new(), |load| text!("pattern-change-pulls-open-at", load));
            let cut = on_ruler(finished.blank.flush_mm, workshop.habits.unit);
            (
                true,
                text!(
                    "pattern-change-cut-bending-uses-its-stretch",
                    cut,
                    gives,
                    used = fixed(100.0 * used, 0)
                ),
            )
        }
    }
}

fn nudged(parameter: &Parameter, value: f64, steps: i32, unit: LengthUnit) -> f64 {
    let moved = match parameter.unit {
        Unit::Mm => length::nudged(value, steps, unit),
        Unit::Deg => value.round() + f64::from(steps),
        Unit::Turns => ((value * 2.0).round() + f64::from(steps)) / 2.0,
        Unit::Choice => value + f64::from(steps),
    };
    let least = if parameter.none.is_some() && moved < parameter.min { 0.0 } else { parameter.min };
    moved.clamp(least, parameter.max)
}

/// The value a dimension has when it is pulled by so many mm on the drawing: four degrees or a quarter turn
/// for each, on whole steps of what is typed, no further than its limits.
fn pulled(parameter: &Parameter, value: f64, mm: f64, unit: LengthUnit) -> Result<f64, Fault> {
    let (per_mm, step) = match parameter.unit {
        Unit::Mm => (1.0, length::nudge_step_mm(unit)),
        Unit::Deg => (4.0, 1.0),
        Unit::Turns => (0.25, 0.5),
        Unit::Choice => return Err(not_pulled(parameter.name)),
    };
    if !mm.is_finite() {
        return Err(not_pulled(parameter.name));
    }
    let moved = ((value + mm * per_mm) / step).round() * step;
    Ok((moved.clamp(parameter.min, parameter.max) * 1e6).round() / 1e6)
}

fn not_pulled(slot: &str) -> Fault {
    Fault::new(slot, text!("pattern-change-cannot-be-dragged-on-drawing", slot = quoted(slot)))
}

/// A count of pieces or pairs as people type it, and whether it counts single pieces: `24 pairs`,
/// `25 single`; a bare number counts as before.
fn read_pieces(text: &str, singly: bool) -> Result<(u32, bool), Fault> {
    let typed = text.trim().to_lowercase();
    let typed = typed.trim_end_matches("of").trim_end();
    let nouns = [
        ("pairs", false),
        ("pair", false),
        ("pieces", true),
        ("piece", true),
        ("singles", true),
        ("single", true),
    ];
    let counted = nouns.iter().find_map(|(noun, singly)| Some((typed.strip_suffix(noun)?, *singly)));
    let (digits, singly) = counted.unwrap_or((typed, singly));
    let most = f64::from(super::MOST_PIECES);
    #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "whole and within limits")]
    let n = number::read_count(digits).filter(|n| (0.0..=most).contains(n)).map(|n| n as u32);
    let n = n.ok_or_else(|| {
        let message = text!(
            "pattern-change-not-whole-number-enter-1",
            text = quoted(text),
            most_pieces = super::MOST_PIECES
        );
        Fault::new("pieces_n", message)
    })?;
    Ok((n, singly))
}
