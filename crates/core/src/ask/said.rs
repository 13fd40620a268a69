//! What a line says, gathered from its tokens.

use std::collections::BTreeMap;

use super::answer::Answer;
use super::{Meaning, Role, Token, Unclear};
use crate::cutting::Method;
use crate::fault::Fault;
use crate::figure::inches;
use crate::length::{self, Reading, Typed, shown};
use crate::mandrel::Mandrel;
use crate::metal::Temper;
use crate::pattern::drawn::dimension_text;
use crate::pattern::{Kind, Parameter};
use crate::ring::Winding;
use crate::ring::supply::Supply;
use crate::section::Section;
use crate::workshop::Workshop;

/// A length that is no wire size: in mm and inches, without gauges.
fn plainly(mm: f64) -> String {
    format!("{} mm = {}", shown(mm, 3), inches(mm))
}
/// Everything a line can say, gathered from its tokens.
#[derive(Default)]
pub(super) struct Said {
    pub count: Option<f64>,
    pub wire: SaidWire,
    pub winding: Option<Winding>,
    pub method: Option<Method>,
    pub filed: bool,
    pub blade: Option<crate::cutting::Blade>,
    pub rod: Option<Mandrel>,
    pub inside_mm: Option<f64>,
    pub outside_mm: Option<f64>,
    pub supply: Supply,
    pub how_many: bool,
    pub about_rings: bool,
    pub pattern: Option<Kind>,
    pub mirrored: bool,
    pub parameters: BTreeMap<String, f64>,
    pub readings: Vec<Reading>,
}

#[derive(Default)]
pub(super) struct SaidWire {
    pub metal: Option<crate::metal::Metal>,
    pub temper: Option<Temper>,
    pub section: Option<Section>,
    pub size_mm: Option<f64>,
}
/// Gathers what a line says, and notes in the reply what was understood of it.
pub(super) fn gather(tokens: &[Token], text: &str, workshop: &Workshop, reply: &mut Answer) -> Said {
    let mut said = Said::default();
    let mut unsaid: Vec<(Typed, Reading, &Token)> = vec![];
    for token in tokens {
        let written: String = text.chars().skip(token.from).take(token.to - token.from).collect();
        let mut note = |meaning: String| {
            let same = meaning.to_lowercase() == written.to_lowercase();
            reply.understood.push(if same { meaning } else { format!("{written}: {meaning}") });
        };
        match &token.meaning {
            Meaning::Filler => said.about_rings |= written.to_lowercase().contains("ring"),
            Meaning::HowMuch => {}
            Meaning::Mirrored => said.mirrored = true,
            Meaning::HowMany => said.how_many = true,
            Meaning::Count(n) => {
                (said.count, said.about_rings) = (Some(*n), true);
                note(format!("{n} rings"));
            }
            Meaning::Pieces(n) => {
                said.count = Some(*n);
                note(format!("{n} to make"));
            }
            Meaning::Pattern(kind) => {
                said.pattern = Some(*kind);
                note(kind.0.name.to_owned());
            }
            Meaning::Parameter(parameter, value, several) => {
                let all =
                    said.pattern.or_else(|| pattern_of(tokens)).map_or(&[][..], |kind| kind.0.parameters);
                let same = |other: &&Parameter| {
                    other.name == parameter.name
                        || (*several
                            && other.unit == parameter.unit
                            && other.label.split(' ').next_back() == Some(parameter.label))
                };
                for parameter in all.iter().filter(same) {
                    said.parameters.insert(parameter.name.to_owned(), *value);
                    note(format!(
                        "{} {}",
                        parameter.label,
                        dimension_text(*value, parameter.unit, workshop.habits.unit)
                    ));
                }
            }
            Meaning::Metal(metal) => {
                said.wire.metal = Some(*metal);
                note(metal.shown().to_owned());
            }
            Meaning::Temper(temper) => {
                said.wire.temper = Some(*temper);
                note(temper.shown().to_owned());
            }
            Meaning::Section(section) => {
                said.wire.section = Some(*section);
                note(section.shown().to_owned());
            }
            Meaning::Winding(winding) => said.winding = Some(*winding),
            Meaning::Method(method) => {
                said.method = Some(*method);
                note(method.shown().to_owned());
            }
            Meaning::Filed => said.filed = true,
            Meaning::Blade(blade) => {
                said.blade = Some(*blade);
                note(format!("{blade} blade"));
            }
            Meaning::Rod(rod) => {
                note(format!("on the {}", rod.shown()));
                said.rod = Some((**rod).clone());
            }
            Meaning::Mass(grams) => {
                said.supply.wire_mass_g = Some(*grams);
                note(format!("{} g", shown(*grams, 2)));
            }
            Meaning::Length(typed, role) => match length::understand(*typed, workshop.habits) {
                Err(sentence) => reply.faults.push(Fault::new("text", sentence)),
                Ok(reading) => {
                    match role {
                        Role::Inside => said.inside_mm = Some(reading.mm),
                        Role::Outside => said.outside_mm = Some(reading.mm),
                        Role::Wire => said.wire.size_mm = Some(reading.mm),
                        Role::Supply => said.supply.wire_length_mm = Some(reading.mm),
                        Role::Unsaid => unsaid.push((*typed, reading.clone(), token)),
                    }
                    if *role != Role::Unsaid {
                        let gauges = *role == Role::Wire;
                        note(if gauges { reading.text.clone() } else { plainly(reading.mm) });
                        reply.assumed.extend(reading.note.clone());
                    }
                    said.readings.push(reading);
                }
            },
        }
    }
    place_lengths(unsaid, text, workshop, &mut said, reply);
    said
}

fn pattern_of(tokens: &[Token]) -> Option<Kind> {
    tokens.iter().find_map(|token| if let Meaning::Pattern(kind) = token.meaning { Some(kind) } else { None })
}

/// Gives lengths without a role the one that is still open and that they can only mean.
fn place_lengths(
    unsaid: Vec<(Typed, Reading, &Token)>,
    text: &str,
    workshop: &Workshop,
    said: &mut Said,
    reply: &mut Answer,
) {
    let ring_like = said.about_rings || said.rod.is_some() || said.inside_mm.is_some();
    let gauge = |typed: &Typed| matches!(typed, Typed::Gauge(..) | Typed::BareGauge(_));
    let size_said = said.wire.size_mm.is_some() || unsaid.iter().any(|(typed, ..)| gauge(typed));
    let mut open: Vec<(Reading, &Token)> = vec![];
    for (typed, reading, token) in unsaid {
        let written: String = text.chars().skip(token.from).take(token.to - token.from).collect();
        // The number that opens a line about rings counts them, unless it may be the gauge:
        // `300 sterling rings`.
        if let Typed::Bare(n) = typed
            && (token.from == 0 && (said.about_rings || said.pattern.is_some()) && said.count.is_none())
            && n.fract() == 0.0
            && (n > 40.0 || size_said || said.pattern.is_some())
        {
            let noun = if said.pattern.is_some() { "pieces" } else { "rings" };
            reply.understood.push(format!("{n} {noun}"));
            said.count = Some(n);
            continue;
        }
        // A bare whole number beside a metal is a gauge: `copper 18`. So is one from 10 up beside
        // rings.
        let bare = match typed {
            Typed::Bare(n) if n.fract() == 0.0 && (0.0..=40.0).contains(&n) && said.wire.metal.is_some() => {
                Some(n)
            }
            _ => None,
        };
        if let (Some(n), None) = (bare, said.wire.size_mm) {
            #[expect(clippy::cast_possible_truncation, reason = "0 to 40")]
            let gauge = Typed::BareGauge(n as i32);
            if let Ok(reading) = length::understand(gauge, workshop.habits) {
                reply.understood.push(format!("{written}: wire {}", reading.text));
                reply.assumed.extend(reading.note);
                said.wire.size_mm = Some(reading.mm);
            }
        } else if gauge(&typed) && said.wire.size_mm.is_none() {
            reply.understood.push(format!("{written}: wire {}", reading.text));
            reply.assumed.extend(reading.note);
            said.wire.size_mm = Some(reading.mm);
        } else if matches!(typed, Typed::Mm(mm) if mm >= 300.0)
            && said.supply.wire_length_mm.is_none()
            && (said.how_many || ring_like || said.wire.metal.is_some())
        {
            reply.understood.push(format!("{written}: wire there is"));
            said.supply.wire_length_mm = Some(reading.mm);
            said.how_many |= ring_like && said.count.is_none();
        } else {
            open.push((reading, token));
        }
    }
    let has_place = |said: &Said| said.inside_mm.is_none() && said.outside_mm.is_none() && said.rod.is_none();
    match open.as_slice() {
        [] => {}
        [(reading, _)] if ring_like && said.wire.size_mm.is_some() && has_place(said) => {
            reply.understood.push(format!("ring inside {}", plainly(reading.mm)));
            reply.assumed.push(format!("{} mm is taken as the inside of the ring.", shown(reading.mm, 3)));
            said.inside_mm = Some(reading.mm);
        }
        [(reading, _)] if said.wire.size_mm.is_none() && (!ring_like || !has_place(said)) => {
            if said.wire.metal.is_some() || ring_like {
                reply.understood.push(format!("wire {}", reading.text));
            }
            said.wire.size_mm = Some(reading.mm);
        }
        several => {
            for (reading, token) in several {
                let words: String = text.chars().skip(token.from).take(token.to - token.from).collect();
                let why =
                    format!("{} mm of what? Write “{words} wire” or “{words} inside”.", shown(reading.mm, 3));
                reply.unclear.push(Unclear { from: token.from, to: token.to, text: words, why });
            }
        }
    }
}
