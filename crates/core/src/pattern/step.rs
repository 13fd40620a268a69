//! Forming steps as instructions to a person, with the numbers of this piece.

use serde::Serialize;

use super::blank::Blank;
use super::form::Formed;
use super::former::StepKind;
use super::instruction::{LEVEL_MM, Telling};
use super::place::Bent;
use crate::tool::cutting::CAUTION;
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{LengthUnit, caliper, on_ruler};

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
    /// Whether it starts so near the end that it is rolled with the end level with the jaw, and needs no mark.
    pub from_end: bool,
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
                from_end: *from < LEVEL_MM,
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
            let slip = slip.map(|slip| slipped(slip, unit));
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
                text: Telling::of(self, forming, &own, bent, unit).text(),
                hint: (!hint.is_empty()).then(|| hint.join(" ")),
                misfit: bent.is_some_and(|bent| bent.place.misfit.is_some()),
                caution: caution(forming.kind),
            });
        }
        steps
    }

    fn cut_step(&self, blank: &Blank, unit: LengthUnit) -> Step {
        let n = self.request.blanks_n();
        let cut = on_ruler(blank.cut_mm, unit);
        let template = match n {
            1 => String::new(),
            2 => " Cut both; the first is the template.".to_owned(),
            n => format!(" Cut all {n}; the first is the template."),
        };
        let trim = if blank.trim_mm > 0.0 {
            format!(" Trim both ends flush: {} is left.", on_ruler(blank.flush_mm, unit))
        } else {
            String::new()
        };
        let surplus = if blank.surplus_mm > 0.25 {
            Some(format!(
                "{} more than needed is at the right end; take it off there last.",
                on_ruler(blank.surplus_mm, unit)
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
}

/// What slipping along a tapered jaw does, for a slip that an eye sees.
fn slipped(slip: f64, unit: LengthUnit) -> String {
    let far = match unit {
        LengthUnit::Mm => 1.0,
        LengthUnit::Inch => MM_PER_INCH / 32.0,
    };
    format!("{} of slip along the jaw changes it by {}.", on_ruler(far, unit), caliper(far * slip, unit))
}
