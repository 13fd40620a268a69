//! Forming steps as instructions to a person, with the numbers of this piece.

use serde::Serialize;

use super::blank::Blank;
use super::form::Formed;
use super::former::{Forming, StepKind};
use super::part::COUNTED;
use super::place::{Bent, With};
use crate::shape::Course;
use crate::tool::cutting::CAUTION;
use crate::words::length::{LengthUnit, said, shown};

/// One step.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Step {
    /// Its place in the order, from 1.
    pub step_n: usize,
    /// What is done.
    pub kind: StepKind,
    /// What to, in a word or two.
    pub what: &'static str,
    /// The segments that get their shape, by their place along the wire.
    pub segments: Vec<usize>,
    /// The instruction.
    pub text: String,
    /// A hint beside it.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub hint: Option<String>,
    /// Whether the workshop owns no tool that fits; the hint says which would.
    pub misfit: bool,
    /// What can hurt here.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub caution: Option<&'static str>,
}

/// A mark on the blank: where a bend starts, with what it is made, how far it goes.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Mark {
    /// From the left flush end, mm.
    pub at_mm: f64,
    /// Where the stretch ends, mm.
    pub to_mm: f64,
    /// What it makes.
    pub what: &'static str,
    /// Its segment, by its place along the wire.
    pub segment_n: usize,
    /// Which forming step makes it, from 1; 1 is cutting.
    pub forming_n: usize,
    /// Name of the tool.
    pub tool: String,
    /// From the tip of the jaw, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub jaw_mm: Option<f64>,
    /// Diameter of the tool there, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub tool_mm: Option<f64>,
    /// How much 1 mm of slip along the jaw changes the inside, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub slip_mm: Option<f64>,
    /// Angle to bend to, springback included, degrees.
    pub angle_deg: f64,
    /// Angle that is left, degrees.
    pub left_deg: f64,
    /// Inside that is left, mm; none for what is not bent.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub inside_mm: Option<f64>,
}

/// Bends that start this near the end are rolled with the end level with the jaw, mm.
const LEVEL_MM: f64 = 0.25;

/// A place on the blank as an instruction says it.
fn place(at_mm: f64, unit: LengthUnit) -> String {
    if at_mm < LEVEL_MM { "from the flush end".to_owned() } else { format!("at {}", said(at_mm, unit)) }
}

/// A number of turns as an instruction says it.
fn turned(turns: f64) -> String {
    let text = shown(turns, 1);
    if text == "1" { "1 turn".to_owned() } else { format!("{text} turns") }
}

fn caution(kind: StepKind) -> Option<&'static str> {
    Some(match kind {
        StepKind::Cut | StepKind::Part => CAUTION,
        StepKind::Ball => {
            "Torch: fireproof surface, air moving, hair and sleeves back, an extinguisher near. Do not heat plated or \
             filled wire. Follow the torch maker and local rules."
        }
        StepKind::Hammer | StepKind::Flatten => "Safety glasses; fingers clear of the block.",
        StepKind::Coil => {
            "The wire's end swings: glasses, and a thumb on the tail. With a drill, no gloves near the rod."
        }
        StepKind::Round => "Do not breathe the dust. Test the tip on your own skin only when it is smooth.",
        StepKind::Wrap => "The tail's cut end is sharp until it is trimmed and pressed in.",
        StepKind::Loop
        | StepKind::Bend
        | StepKind::Fold
        | StepKind::Spiral
        | StepKind::Lift
        | StepKind::Kick
        | StepKind::Close => {
            return None;
        }
    })
}

/// A tool in its place as words: `the fine jaw, 6.4 mm from the tip`.
fn held(bent: &Bent, unit: LengthUnit) -> String {
    let place = &bent.place;
    let size = place.diameter_mm.map(|d| format!("{} mm", shown(d, 2)));
    match (place.with, place.jaw_mm, size) {
        (With::Jaw, Some(at), Some(size)) => {
            format!("on the {}, {} from the tip (Ø {size})", place.tool, said(at, unit))
        }
        (With::Jaw, None, Some(size)) => format!("on the {}'s {size} step", place.tool),
        (With::Rod, ..) => format!("over the {}", place.tool),
        (With::FlatNose, ..) => "with flat-nose pliers".to_owned(),
        (With::Taper, ..) => "on the taper".to_owned(),
        (With::OwnStem, ..) => format!("round {}", place.tool),
        _ => format!("with {}", place.tool),
    }
}

impl Formed<'_> {
    /// Marks on the blank from left to right.
    pub fn marks(&self, blank: &Blank, tools: &[Option<Bent>]) -> Vec<Mark> {
        let spans = self.spans(blank);
        let mut marks = vec![];
        for (i, (segment, (from, to))) in self.design.segments.iter().zip(&spans).enumerate() {
            let Some(Some(bent)) = tools.get(i) else { continue };
            let step = self.design.steps.iter().position(|step| step.segments.contains(&i));
            let forming_n = step.map_or(1, |step| step + 2);
            let left_deg = segment.curve(self.design.profile).angle().to_degrees();
            // What goes on where the last stretch ends is one bend with it, and needs no mark of its own.
            let before: Option<&mut Mark> = marks.last_mut();
            if let Some(last) =
                before.filter(|m| m.what == segment.what && m.forming_n == forming_n && m.to_mm == *from)
            {
                last.to_mm = *to;
                last.angle_deg += bent.to_deg;
                last.left_deg += left_deg;
                continue;
            }
            marks.push(Mark {
                at_mm: *from,
                to_mm: *to,
                what: segment.what,
                segment_n: i,
                forming_n,
                tool: bent.place.tool.clone(),
                jaw_mm: bent.place.jaw_mm,
                tool_mm: bent.place.diameter_mm,
                slip_mm: bent.place.slip_mm,
                angle_deg: bent.to_deg,
                left_deg,
                inside_mm: segment.course.tightest_mm(),
            });
        }
        marks
    }

    /// The steps in forming order, cutting first.
    pub fn steps(&self, blank: &Blank, tools: &[Option<Bent>], unit: LengthUnit) -> Vec<Step> {
        let marks = self.marks(blank, tools);
        let mut steps = vec![self.cut_step(blank, unit)];
        for (i, forming) in self.design.steps.iter().enumerate() {
            let own: Vec<&Mark> =
                marks.iter().filter(|mark| forming.segments.contains(&mark.segment_n)).collect();
            // The widest turn of a step says which tool it is about: a loop before its neck.
            let widest = own.iter().max_by(|a, b| a.left_deg.total_cmp(&b.left_deg));
            let bent = widest.and_then(|mark| tools.get(mark.segment_n)?.as_ref());
            let misfit = bent.and_then(|bent| bent.place.misfit.clone());
            let slip = bent.and_then(|bent| bent.place.slip_mm);
            let slip =
                slip.map(|slip| format!("1 mm of slip along the jaw changes it by {} mm.", shown(slip, 2)));
            let hint: Vec<String> =
                [(!forming.hint.is_empty()).then(|| forming.hint.to_owned()), misfit, slip]
                    .into_iter()
                    .flatten()
                    .collect();
            steps.push(Step {
                step_n: i + 2,
                kind: forming.kind,
                what: forming.what,
                segments: forming.segments.clone(),
                text: self.instruction(forming, &own, bent, unit),
                hint: (!hint.is_empty()).then(|| hint.join(" ")),
                misfit: bent.is_some_and(|bent| bent.place.misfit.is_some()),
                caution: caution(forming.kind),
            });
        }
        steps
    }

    fn cut_step(&self, blank: &Blank, unit: LengthUnit) -> Step {
        let n = self.request.blanks_n();
        let cut = said(blank.cut_mm, unit);
        let template = match n {
            1 => String::new(),
            2 => " Cut both; the first is the template.".to_owned(),
            n => format!(" Cut all {n}; the first is the template."),
        };
        let trim = if blank.trim_mm > 0.0 {
            format!(" Trim both ends flush: {} is left.", said(blank.flush_mm, unit))
        } else {
            String::new()
        };
        let surplus = if blank.surplus_mm > 0.25 {
            Some(format!(
                "{} more than needed is at the right end; take it off there last.",
                said(blank.surplus_mm, unit)
            ))
        } else {
            None
        };
        Step {
            step_n: 1,
            kind: StepKind::Cut,
            what: "blank",
            segments: vec![],
            text: format!("Straighten the wire and cut {cut}.{trim}{template}"),
            hint: surplus,
            misfit: false,
            caution: caution(StepKind::Cut),
        }
    }

    fn instruction(&self, step: &Forming, marks: &[&Mark], bent: Option<&Bent>, unit: LengthUnit) -> String {
        let the =
            if step.what.starts_with("both ") { step.what.to_owned() } else { format!("the {}", step.what) };
        // A step may hold a small bend beside the turns it is about: a neck, a notch.
        let widest = marks.iter().map(|mark| mark.left_deg).fold(0.0, f64::max);
        let (main, beside): (Vec<&Mark>, Vec<&Mark>) =
            marks.iter().partition(|mark| mark.left_deg >= 0.95 * widest);
        let first = main.first();
        let at: Vec<String> = main.iter().map(|mark| place(mark.at_mm, unit)).collect();
        let at = at.join(" and ");
        let with = bent.map_or(String::new(), |bent| held(bent, unit));
        let inside = first.and_then(|mark| mark.inside_mm).unwrap_or(0.0);
        let over = |mark: &Mark| {
            let (to, left) = (shown(mark.angle_deg, 0), shown(mark.left_deg, 0));
            if to == left {
                format!("to {left}°")
            } else {
                format!("go to {to}°, it comes back to {left}°")
            }
        };
        let flattened = |index: usize| self.design.segments.get(index).and_then(|s| s.flattened_mm);
        let hammered = self.design.segments.iter().find_map(|segment| segment.flattened_mm);
        match step.kind {
            StepKind::Cut => String::new(),
            StepKind::Ball => {
                let (ball, wire) = step.segments.first().map_or((0.0, 0.0), |i| {
                    let ball = match self.design.segments.get(*i).map(|s| s.course) {
                        Some(Course::Ball { diameter_mm }) => diameter_mm,
                        _ => 0.0,
                    };
                    (ball, self.wire_mm.get(*i).copied().unwrap_or(0.0))
                });
                format!(
                    "Hold {the} upright in the flame until it draws up to a ball of {}; that takes {} of the wire.",
                    said(ball, unit),
                    said(wire, unit)
                )
            }
            StepKind::Flatten => {
                let index = step.segments.first().copied().unwrap_or(0);
                let wire = self.wire_mm.get(index).copied().unwrap_or(0.0);
                let thin = flattened(index).unwrap_or(0.0);
                format!(
                    "Hammer the first {} of {the} flat on the block to {} mm thick, turning it over: it grows to {}.",
                    said(wire, unit),
                    shown(thin, 2),
                    said(
                        wire * self.design.segments.get(index).map_or(1.0, |s| s.growth(self.design.profile)),
                        unit
                    )
                )
            }
            StepKind::Fold => {
                format!("Fold {the} back on itself {at} and press the two wires together.")
            }
            StepKind::Loop => {
                // A loop that ends a wire closes by itself; others go to their angle.
                let closes = first.is_some_and(|mark| mark.left_deg > 240.0);
                let until = if closes {
                    ", until it closes".to_owned()
                } else {
                    first.map_or(String::new(), |mark| format!(": {}", over(mark)))
                };
                let before = beside.first().map_or(String::new(), |mark| {
                    format!(
                        "Bend the {} {} with flat-nose pliers, {}; then roll",
                        mark.what,
                        place(mark.at_mm, unit),
                        over(mark)
                    )
                });
                let roll = if before.is_empty() { "Roll".to_owned() } else { before };
                format!("{roll} {the} {at} {with}{until}.")
            }
            StepKind::Bend => {
                let angle = first.map_or(String::new(), |mark| over(mark));
                format!("Bend {the} {at} {with}: {angle}.")
            }
            StepKind::Coil => {
                let turns = first.map_or(0.0, |mark| mark.left_deg / 360.0);
                let wound = first.map_or(0.0, |mark| mark.angle_deg / 360.0);
                let taper = bent.and_then(|bent| Some((bent.place.diameter_mm?, bent.place.wide_mm?)));
                let cone = first.and_then(|mark| self.design.segments.get(mark.segment_n)).map(|s| s.course);
                if let (Some((narrow, wide)), Some(Course::Cone { small_mm, large_mm, .. })) = (taper, cone) {
                    return format!(
                        "Wind {} on the taper, from where it is {} across to where it is {}, each turn against the last. Let \
                         go: {} left, mouths of {} and {}.",
                        turned(wound),
                        said(narrow, unit),
                        said(wide, unit),
                        turned(turns),
                        said(small_mm, unit),
                        said(large_mm, unit)
                    );
                }
                format!(
                    "Wind {} {with}, close together. Let go: {} left, {} inside.",
                    turned(wound),
                    turned(turns),
                    said(inside, unit)
                )
            }
            StepKind::Spiral => {
                let turns = first.map_or(0.0, |mark| mark.left_deg / 360.0);
                format!("Start {the} {at} {with}, then lay {} flat, each against the last.", turned(turns))
            }
            StepKind::Wrap => {
                let turns: f64 = marks.iter().map(|mark| mark.left_deg).sum::<f64>() / 360.0;
                let seen = self.request.value("counted") > 0.5;
                let rule = COUNTED.get(usize::from(seen)).copied().unwrap_or_default();
                let count = if self.request.kind.0.parameter("wraps_n").is_some() {
                    self.request.value("wraps_n")
                } else {
                    turns
                };
                format!(
                    "Wrap {} round the stem, close together, counted as {rule}; trim the tail flush and press the end in.",
                    shown(count, 2)
                )
            }
            StepKind::Lift => {
                format!("Lift {the} {at} upright to make the bail, and close it on the coil.")
            }
            StepKind::Kick => {
                let angle = first.map_or(String::new(), |mark| over(mark));
                format!("Turn {the} aside {at} with flat-nose pliers: {angle}.")
            }
            StepKind::Hammer => match hammered {
                Some(thin) => format!(
                    "Hammer {the} on the block to {} mm, both sides alike; press it closed again afterwards.",
                    shown(thin, 2)
                ),
                None if !step.hint.is_empty() => format!("Stiffen {the}."),
                None => {
                    format!("Tap {the} with a mallet on the block, both sides alike, to stiffen it.")
                }
            },
            StepKind::Close => format!("Press {the} closed: past closed, then let it come back."),
            StepKind::Round => {
                format!("Round and smooth {the}: file in one direction, then a cup burr or emery.")
            }
            StepKind::Part => {
                format!("Part them last, when tumbling and finishing are done: cut {the} in its middle.")
            }
        }
    }
}
