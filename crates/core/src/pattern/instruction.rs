//! A forming step in words: what to do, where, with which tool, how far, with this piece's numbers.

use super::form::Formed;
use super::former::{Forming, StepKind};
use super::part::COUNTED;
use super::place::{Bent, With};
use super::step::Mark;
use crate::shape::{Course, Segment};
use crate::words::length::{LengthUnit, caliper, on_ruler, shown};

/// Bends that start this near the end are rolled with the end level with the jaw, mm.
pub(super) const LEVEL_MM: f64 = 0.25;

/// A place on the blank as an instruction says it.
fn place(at_mm: f64, unit: LengthUnit) -> String {
    if at_mm < LEVEL_MM { "from the flush end".to_owned() } else { format!("at {}", on_ruler(at_mm, unit)) }
}

/// A number of turns as an instruction says it.
fn turned(turns: f64) -> String {
    let text = shown(turns, 1);
    if text == "1" { "1 turn".to_owned() } else { format!("{text} turns") }
}

/// What is formed, with its article: `the loop`, `both curls`.
pub(super) fn the(what: &str) -> String {
    if what.starts_with("both ") { what.to_owned() } else { format!("the {what}") }
}

/// A tool in its place as words: `the fine jaw, 6.4 mm from the tip`.
fn held(bent: &Bent, unit: LengthUnit) -> String {
    let place = &bent.place;
    let size = place.diameter_mm.map(|d| caliper(d, unit));
    match (place.with, place.jaw_mm, size) {
        (With::Jaw, Some(at), Some(size)) => {
            format!("on the {}, {} from the tip (Ø {size})", place.tool, on_ruler(at, unit))
        }
        (With::Jaw, None, Some(size)) => format!("on the {}'s {size} step", place.tool),
        (With::Rod, ..) => format!("over the {}", place.tool),
        (With::FlatNose, ..) => "with flat-nose pliers".to_owned(),
        (With::Taper, ..) => "on the taper".to_owned(),
        (With::OwnStem, ..) => format!("round {}", place.tool),
        _ => format!("with {}", place.tool),
    }
}

/// One step to be told, with what its words are made of.
pub(super) struct Telling<'a> {
    formed: &'a Formed<'a>,
    step: &'a Forming,
    /// Every mark of the step.
    marks: &'a [&'a Mark],
    /// The marks the step is about.
    main: Vec<&'a Mark>,
    /// Small bends beside them: a neck, a notch.
    beside: Vec<&'a Mark>,
    bent: Option<&'a Bent>,
    unit: LengthUnit,
}

impl<'a> Telling<'a> {
    pub(super) fn of(
        formed: &'a Formed<'a>,
        step: &'a Forming,
        marks: &'a [&'a Mark],
        bent: Option<&'a Bent>,
        unit: LengthUnit,
    ) -> Self {
        let widest = marks.iter().map(|mark| mark.left_deg).fold(0.0, f64::max);
        let (main, beside) = marks.iter().partition(|mark| mark.left_deg >= 0.95 * widest);
        Self { formed, step, marks, main, beside, bent, unit }
    }

    pub(super) fn text(&self) -> String {
        let the = self.the();
        match self.step.kind {
            StepKind::Cut => String::new(),
            StepKind::Ball => self.ball(),
            StepKind::Flatten => self.flatten(),
            StepKind::Fold => {
                format!("Fold {the} back on itself {} and press the two wires together.", self.at())
            }
            StepKind::Loop => self.roll(),
            StepKind::Bend => format!("Bend {the} {} {}: {}.", self.at(), self.with(), self.how_far()),
            StepKind::Coil => self.wind(),
            StepKind::Spiral => format!(
                "Start {the} {} {}, then lay {} flat, each against the last.",
                self.at(),
                self.with(),
                turned(self.turns_left())
            ),
            StepKind::Wrap => self.wrap(),
            StepKind::Lift => {
                format!("Lift {the} {} upright to make the bail, and close it on the coil.", self.at())
            }
            StepKind::Kick => {
                format!("Turn {the} aside {} with flat-nose pliers: {}.", self.at(), self.how_far())
            }
            StepKind::Hammer => self.hammer(),
            StepKind::Close => format!("Press {the} closed: past closed, then let it come back."),
            StepKind::Round => {
                format!("Round and smooth {the}: file in one direction, then a cup burr or emery.")
            }
            StepKind::Part => {
                format!("Part them last, when tumbling and finishing are done: cut {the} in its middle.")
            }
        }
    }

    fn the(&self) -> String {
        the(self.step.what)
    }

    /// Where on the blank: `at 12.5 mm`, `at 12.5 mm and at 40 mm`.
    fn at(&self) -> String {
        let places: Vec<String> = self.main.iter().map(|mark| place(mark.at_mm, self.unit)).collect();
        places.join(" and ")
    }

    fn with(&self) -> String {
        self.bent.map_or(String::new(), |bent| held(bent, self.unit))
    }

    fn how_far(&self) -> String {
        self.main.first().map_or(String::new(), |mark| over(mark))
    }

    fn turns_left(&self) -> f64 {
        self.main.first().map_or(0.0, |mark| mark.left_deg / 360.0)
    }

    /// The first stretch the step forms, and the wire in it, mm.
    fn stretch(&self) -> (Option<&Segment>, f64) {
        let index = self.step.segments.first().copied().unwrap_or(0);
        (self.formed.design.segments.get(index), self.formed.wire_mm.get(index).copied().unwrap_or(0.0))
    }

    fn ball(&self) -> String {
        let (segment, wire) = self.stretch();
        let ball = match segment.map(|segment| segment.course) {
            Some(Course::Ball { diameter_mm }) => diameter_mm,
            _ => 0.0,
        };
        format!(
            "Hold {} upright in the flame until it draws up to a ball of {}; that takes {} of the wire.",
            self.the(),
            caliper(ball, self.unit),
            on_ruler(wire, self.unit)
        )
    }

    fn flatten(&self) -> String {
        let (segment, wire) = self.stretch();
        let thin = segment.and_then(|segment| segment.flattened_mm).unwrap_or(0.0);
        let grows = segment.map_or(1.0, |segment| segment.growth(self.formed.design.profile));
        format!(
            "Hammer the first {} of {} flat on the block to {} thick, turning it over: it grows to {}.",
            on_ruler(wire, self.unit),
            self.the(),
            caliper(thin, self.unit),
            on_ruler(wire * grows, self.unit)
        )
    }

    fn roll(&self) -> String {
        // A loop that ends a wire closes by itself; others go to their angle.
        let closes = self.main.first().is_some_and(|mark| mark.left_deg > 240.0);
        let until = if closes { ", until it closes".to_owned() } else { format!(": {}", self.how_far()) };
        let roll = self.beside.first().map_or("Roll".to_owned(), |mark| {
            let at = place(mark.at_mm, self.unit);
            format!("Bend the {} {at} with flat-nose pliers, {}; then roll", mark.what, over(mark))
        });
        format!("{roll} {} {} {}{until}.", self.the(), self.at(), self.with())
    }

    fn wind(&self) -> String {
        let wound = turned(self.main.first().map_or(0.0, |mark| mark.angle_deg / 360.0));
        let left = turned(self.turns_left());
        let taper = self.bent.and_then(|bent| Some((bent.place.diameter_mm?, bent.place.wide_mm?)));
        if let (Some((narrow, wide)), Some(Course::Cone { small_mm, large_mm, .. })) = (taper, self.course())
        {
            return format!(
                "Wind {wound} on the taper, from where it is {} across to where it is {}, each turn against the last. \
                 Let it spring open: {left} left, mouths of {} and {}.",
                caliper(narrow, self.unit),
                caliper(wide, self.unit),
                caliper(small_mm, self.unit),
                caliper(large_mm, self.unit)
            );
        }
        let inside = self.main.first().and_then(|mark| mark.inside_mm).unwrap_or(0.0);
        format!(
            "Wind {wound} {}, close together. Let it spring open: {left} left, {} inside.",
            self.with(),
            caliper(inside, self.unit)
        )
    }

    fn course(&self) -> Option<Course> {
        let mark = self.main.first()?;
        self.formed.design.segments.get(mark.segment_n).map(|segment| segment.course)
    }

    fn wrap(&self) -> String {
        let request = self.formed.request;
        let rule = COUNTED.get(usize::from(request.value("counted") > 0.5)).copied().unwrap_or_default();
        let count = if request.kind.0.parameter("wraps_n").is_some() {
            request.value("wraps_n")
        } else {
            self.marks.iter().map(|mark| mark.left_deg).sum::<f64>() / 360.0
        };
        format!(
            "Wrap {} round the stem, close together, counted as {rule}; trim the tail flush and press the end in.",
            shown(count, 2)
        )
    }

    fn hammer(&self) -> String {
        let the = self.the();
        let thin = self.formed.design.segments.iter().find_map(|segment| segment.flattened_mm);
        match thin {
            Some(thin) => format!(
                "Hammer {the} on the block to {}, both sides alike; press it closed again afterwards.",
                caliper(thin, self.unit)
            ),
            None if !self.step.hint.is_empty() => format!("Stiffen {the}."),
            None => format!("Tap {the} with a mallet on the block, both sides alike, to stiffen it."),
        }
    }
}

/// How far a bend goes, and where it comes back to: `go to 95°, it comes back to 90°`.
fn over(mark: &Mark) -> String {
    let (to, left) = (shown(mark.angle_deg, 0), shown(mark.left_deg, 0));
    if to == left { format!("to {left}°") } else { format!("go to {to}°, it comes back to {left}°") }
}
