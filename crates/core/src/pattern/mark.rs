//! Marks on the blank: where each bend starts, with what it is made, how far it goes.

use serde::Serialize;

use crate::making::run::From;
use crate::making::telling::LEVEL_MM;
use crate::making::{Made, Operation, Step};
use crate::words::length::{LengthUnit, caliper, on_ruler};
use lorimant_text::text;

/// A mark on the blank: where a bend starts, with what it is made, how far it goes.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Mark {
    /// From the left flush end, mm.
    pub at_mm: f64,
    /// The end in hand, which the step measures from.
    pub from: From,
    /// Where it starts from that end, mm; of a fold, its middle.
    pub from_end_mm: f64,
    /// The same as a ruler of the unit read first shows it: `19 mm`.
    pub ruler: String,
    /// Whether it starts so near the end that it is rolled with the end level with the jaw, and needs no mark.
    pub from_end: bool,
    /// Whether its turns are counted, as those of wraps and coils are, and nothing is marked.
    pub counted: bool,
    /// Where the stretch ends, mm.
    pub to_mm: f64,
    /// What it makes.
    pub what: &'static str,
    /// Its segment, by its place along the wire.
    pub segment_n: usize,
    /// Which step makes it, from 1.
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

impl Mark {
    /// The tool and the place on it, as a bag says it: `slim round-nose, 6.4 mm from the tip`, `over the 5 mm drill shank`.
    #[must_use]
    pub fn held_told(&self, unit: LengthUnit) -> String {
        match (self.jaw_mm, self.tool_mm) {
            (Some(at), _) => text!("pattern-mark-from-tip", tool = self.tool, at = on_ruler(at, unit)),
            (None, Some(across)) if !self.tool.contains(|c: char| c.is_ascii_digit()) => {
                format!("{}, Ø {}", self.tool, caliper(across, unit))
            }
            _ => self.tool.clone(),
        }
    }

    /// The place of the mark, from the end it is measured from: `28.2 mm`, `10.4 mm from the right`.
    #[must_use]
    pub fn place_told(&self) -> String {
        match self.from {
            From::FarEnd => text!("pattern-mark-from-right", ruler = self.ruler),
            From::Fold | From::Parted => text!("pattern-mark-from-fold", ruler = self.ruler),
            From::NearEnd | From::Spool => self.ruler.clone(),
        }
    }
}

impl super::form::FormedPiece<'_> {
    /// Marks on the blank from left to right, read off the route.
    pub fn marks(&self, spans: &[(f64, f64)], made: &Made, unit: LengthUnit) -> Vec<Mark> {
        let mut first: Vec<Option<&Step>> = vec![None; spans.len()];
        for step in &made.steps {
            let marked = step.numbers.at_mm.is_some() && step.operation != Operation::Hammer;
            for segment in step.segments.iter().filter(|_| marked) {
                if let Some(place @ None) = first.get_mut(*segment) {
                    *place = Some(step);
                }
            }
        }
        let mut marks: Vec<Mark> = vec![];
        for (i, ((from_mm, to_mm), step)) in spans.iter().zip(first).enumerate() {
            let (Some(step), Some(segment)) = (step, self.design.segments.get(i)) else { continue };
            let numbers = &step.numbers;
            let turned = |turns: Option<f64>| turns.map(|n| n * 360.0);
            let angle_deg = numbers.angle_to_deg.or(turned(numbers.turns_n)).unwrap_or(0.0);
            let left_deg = numbers.angle_left_deg.or(turned(numbers.turns_left_n)).unwrap_or(0.0);
            // What goes on where the last stretch ends is one bend with it, and needs no mark of its own.
            let before = marks.last_mut();
            let goes_on = |m: &&mut Mark| {
                m.what == segment.what && step.operation == Operation::Wrap && m.to_mm == *from_mm
            };
            if let Some(last) = before.filter(goes_on) {
                last.to_mm = *to_mm;
                last.angle_deg += angle_deg;
                last.left_deg += left_deg;
                continue;
            }
            let at = numbers.at_mm.unwrap_or(0.0);
            marks.push(Mark {
                at_mm: *from_mm,
                from: numbers.from.unwrap_or(From::NearEnd),
                from_end_mm: at,
                ruler: on_ruler(at, unit),
                from_end: at < LEVEL_MM,
                counted: matches!(step.operation, Operation::Wrap | Operation::Coil),
                to_mm: *to_mm,
                what: segment.what,
                segment_n: i,
                forming_n: step.step_n,
                tool: numbers.tool.clone().unwrap_or_default(),
                jaw_mm: numbers.jaw_mm,
                tool_mm: numbers.own_mm.or(numbers.tool_mm),
                slip_mm: numbers.slip_mm,
                angle_deg,
                left_deg,
                inside_mm: segment.course.tightest_mm(),
            });
        }
        marks
    }
}
