//! A finding drawn: finished from the front and the side, after each forming step, with its dimensions.

use glam::{DVec2, DVec3};
use kurbo::{BezPath, Circle, Line, ParamCurve as _, Point, Shape as _};
use serde::Serialize;

use super::Unit;
use super::design::DimensionPlace;
use super::form::FormedPiece;
use crate::drawing::{Anchor, Drawing, Place, Role, Sketch, svg_path};
use crate::figure::Level;
use crate::making::run::Marked;
use crate::making::{Operation, Step, Workpiece};
use crate::shape::Course;
use crate::shape::path::Path;
use crate::shape::view::{self, Side};
use crate::wire::strength::strain_level;
use crate::words::length::{LengthUnit, caliper, inches, shown};
use lorimant_text::text;

/// The drawn line of one segment, for pointing at it.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct DrawnPart {
    /// Which segment, by its place along the wire.
    pub segment_n: usize,
    /// Its centreline as SVG path data, mm.
    pub path: String,
    /// Its middle on the paper.
    pub middle: Place,
    /// Share of what the metal bears that is spent there by then.
    pub spent_share: f64,
    /// How much attention that asks for.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub strain_level: Option<Level>,
}

/// A drawing with its segments told apart.
#[derive(Debug, Clone, PartialEq, Default, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct DrawnPiece {
    /// The drawing.
    pub drawing: Drawing,
    /// Its segments.
    pub parts: Vec<DrawnPart>,
}

fn point(at: DVec2) -> Point {
    Point::new(at.x, at.y)
}

fn on_paper(at: DVec3) -> Point {
    point(Side::Front.paper(at))
}

/// To the right or to the left.
fn outward(x: f64) -> DVec2 {
    DVec2::new(if x >= -1e-6 { 1.0 } else { -1.0 }, 0.0)
}

/// How a text stands at a place that lies this way from what it speaks of.
fn anchor(out: DVec2) -> Anchor {
    match out.x {
        x if x > 0.3 => Anchor::Start,
        x if x < -0.3 => Anchor::End,
        _ => Anchor::Middle,
    }
}

/// How far a mark stands out to each side of the wire's middle, mm.
const MARK_MM: f64 = 1.6;

/// Whether a step is drawn with its tool in place.
fn on_a_tool(step: &Step) -> bool {
    matches!(step.operation, Operation::Loop | Operation::Bend | Operation::Spiral)
}

/// Lines of segments, each to be pointed at by itself.
fn told_apart(parts: Vec<(usize, BezPath)>) -> Vec<DrawnPart> {
    let part = |(segment_n, path): (usize, BezPath)| {
        let n = path.segments().count();
        let middle = path
            .segments()
            .nth(n / 2)
            .map_or(Point::ZERO, |piece| piece.eval(if n % 2 == 0 { 0.0 } else { 0.5 }));
        DrawnPart {
            segment_n,
            path: svg_path(&path),
            middle: Place { x_mm: middle.x, y_mm: middle.y },
            spent_share: 0.0,
            strain_level: None,
        }
    };
    parts.into_iter().map(part).collect()
}

/// The wire of a piece in the making, drawn without any tool.
struct Bare {
    path: Path,
    sketch: Sketch,
    parts: Vec<DrawnPart>,
}

impl Bare {
    /// The same with the tool of a step in place, and marks across it, mm along its middle.
    fn stage(&self, formed: &FormedPiece, step: Option<&Step>, marks: &[f64]) -> DrawnPiece {
        let mut sketch = self.sketch.clone();
        for mark in marks {
            let (at, ahead) = self.path.along(*mark);
            let across = ahead.cross(DVec3::Z) * MARK_MM;
            let line = Line::new(on_paper(at - across), on_paper(at + across));
            sketch.shape(Role::Mark, &line.to_path(0.01));
        }
        if let Some(step) = step.filter(|step| on_a_tool(step)) {
            for index in step.segments.iter().rev() {
                formed.draw_tool(&self.path, *index, step.numbers.tool_mm, &mut sketch);
            }
        }
        DrawnPiece { drawing: sketch.finish(formed.described(step)), parts: self.parts.clone() }
    }
}

impl DrawnPiece {
    /// Says of each segment how much of what the metal bears is spent there on a workpiece.
    pub fn tint(&mut self, workpiece: &Workpiece, spans: &[(f64, f64)]) {
        for part in &mut self.parts {
            let Some((from, to)) = spans.get(part.segment_n) else { continue };
            let middle = f64::midpoint(*from, *to) - workpiece.gone_mm();
            let there = workpiece.stretches.iter().find(|s| s.from_mm <= middle && middle <= s.to_mm);
            part.spent_share = there.map_or(0.0, |stretch| stretch.spent_share);
            part.strain_level = strain_level(part.spent_share);
        }
    }
}

/// The value of a parameter as a dimension says it.
///
/// ```
/// use lorimant_core::words::length::LengthUnit;
/// use lorimant_core::pattern::Unit;
/// use lorimant_core::pattern::drawn::dimension_text;
///
/// assert_eq!(dimension_text(3.0, Unit::Mm, LengthUnit::Mm), "3");
/// assert_eq!(dimension_text(18.0, Unit::Deg, LengthUnit::Inch), "18°");
/// ```
pub fn dimension_text(value: f64, unit: Unit, first: LengthUnit) -> String {
    match (unit, first) {
        (Unit::Mm, LengthUnit::Mm) => shown(value, 2),
        (Unit::Mm, LengthUnit::Inch) => inches(value),
        (Unit::Deg, _) => format!("{}°", shown(value, 1)),
        (Unit::Turns, _) => shown(value, 2),
        (Unit::Choice, _) => String::new(),
    }
}

impl FormedPiece<'_> {
    /// The piece after each step of its route. What forms nothing leaves the wire as it was drawn before.
    pub fn stages(&self, steps: &[Step]) -> Vec<DrawnPiece> {
        let blank = self.blank(LengthUnit::Mm);
        let spans = self.spans(&blank);
        let begins_mm = spans.first().map_or(0.0, |span| span.0);
        let along =
            |mark: &Marked| if mark.far { blank.flush_exact_mm() - mark.mm } else { mark.mm } - begins_mm;
        let mut wire = self.bare(&[]);
        let staged = steps.iter().enumerate().map(|(i, step)| {
            if !step.segments.is_empty() {
                wire = self.bare(&steps[..=i]);
            }
            let marks: Vec<f64> = step.marks.iter().map(along).collect();
            let mut stage = wire.stage(self, Some(step), &marks);
            stage.tint(&step.workpiece, &spans);
            stage
        });
        staged.collect()
    }

    fn described(&self, last: Option<&Step>) -> String {
        let what = last.map_or(text!("pattern-drawn-straight").to_owned(), |step| {
            text!("pattern-drawn-after", operation = step.operation, what = step.what)
        });
        text!("pattern-drawn-the", name = self.request.kind.0.name, what)
    }

    /// The piece from the front after these steps of its route, with the tool of the last one in place.
    pub fn stage(&self, steps: &[Step]) -> DrawnPiece {
        self.bare(steps).stage(self, steps.last(), &[])
    }

    /// The wire alone as it lies after these steps.
    fn bare(&self, steps: &[Step]) -> Bare {
        let path = self.after(steps);
        let mut sketch = Sketch::new();
        let balled = steps.iter().any(|step| step.operation == Operation::Ball);
        let parts = told_apart(self.draw_wire(&path, Side::Front, &mut sketch, balled));
        Bare { path, sketch, parts }
    }

    fn draw_tool(&self, path: &Path, index: usize, tool_mm: Option<f64>, sketch: &mut Sketch) {
        let Some(placed) = path.placed.get(index) else { return };
        let (Some(centre), Some(axis), Some(diameter)) = (placed.centre(), placed.axis(), tool_mm) else {
            return;
        };
        if axis.z.abs() > 0.9 && diameter > 0.0 {
            let inside =
                self.design.segments.get(index).and_then(|s| s.course.tightest_mm()).unwrap_or(diameter);
            // Drawn where the bend stands after letting go, so no larger than its inside.
            let circle = Circle::new(on_paper(centre), diameter.min(inside) / 2.0);
            sketch.shape_behind(Role::Rod, &circle.to_path(0.005));
        }
    }

    fn draw_wire(&self, path: &Path, side: Side, sketch: &mut Sketch, balls: bool) -> Vec<(usize, BezPath)> {
        let parts = view::draw(path, side, sketch);
        let shaped = self.design.segments.iter().zip(&path.placed);
        for (segment, placed) in shaped.filter(|_| balls) {
            if let Course::Ball { diameter_mm } = segment.course {
                let centre = self.design.ball_centre(placed, diameter_mm);
                let circle = Circle::new(point(side.paper(centre)), diameter_mm / 2.0);
                sketch.shape(Role::Ball, &circle.to_path(0.005));
            }
        }
        parts
    }

    /// The finished piece from a side; from the front with its dimensions.
    pub fn drawn(&self, side: Side, unit: LengthUnit) -> DrawnPiece {
        let mut sketch = Sketch::new();
        let parts = self.draw_wire(&self.path, side, &mut sketch, true);
        if side == Side::Front {
            self.draw_dimensions(&mut sketch, unit);
        }
        let size = self.extent.size();
        let (from, wide) = match side {
            Side::Front => (text!("pattern-drawn-front"), size.x),
            Side::Right => (text!("pattern-drawn-side"), size.z),
        };
        let described = text!(
            "pattern-drawn-from-high-wide",
            name = self.request.kind.0.name,
            from,
            y = caliper(size.y, unit),
            wide = caliper(wide, unit)
        );
        DrawnPiece { drawing: sketch.finish(described), parts: told_apart(parts) }
    }

    fn draw_dimensions(&self, sketch: &mut Sketch, unit: LengthUnit) {
        let extent = self.extent;
        let (size, middle) = (extent.size(), (extent.least + extent.most) / 2.0);
        let away = 0.06 * size.x.max(size.y) + self.design.profile.thickness_mm();
        for (name, lies) in &self.design.dimensions {
            let Some(parameter) = self.request.kind.0.parameter(name) else { continue };
            let value = dimension_text(self.request.value(name), parameter.unit, unit);
            let text = format!("{} {value}", parameter.label);
            let placed = |i: usize| self.path.placed.get(i);
            match *lies {
                DimensionPlace::Along(i) => {
                    let Some(line) = placed(i) else { continue };
                    self.beside(sketch, (line.at(0.0).0, line.at(1.0).0), middle, away, text, parameter.name);
                }
                DimensionPlace::From(i, j) => {
                    let (Some(a), Some(b)) = (placed(i), placed(j)) else { continue };
                    self.beside(sketch, (a.at(0.0).0, b.at(1.0).0), middle, away, text, parameter.name);
                }
                DimensionPlace::Across(i) => self.across(sketch, (i, false), text, parameter.name),
                DimensionPlace::AcrossBeside(i) => self.across(sketch, (i, true), text, parameter.name),
                DimensionPlace::Angle(i) => {
                    let Some(bend) = placed(i) else { continue };
                    let at = bend.at(0.5).0;
                    // A kicked tip has room on its inner side; outside stand the lengths.
                    let turned = bend.curve.angle();
                    let kick = turned < std::f64::consts::FRAC_PI_2;
                    let out = outward(if kick { middle.x - at.x } else { at.x - middle.x });
                    let beyond = if kick { 1.2 * self.design.profile.thickness_mm() } else { away * 0.8 };
                    let mut place = point(Side::Front.paper(at) + out * beyond);
                    if turned > std::f64::consts::TAU {
                        // Beside the whole coil, not on it.
                        let edge = if out.x > 0.0 { extent.most.x } else { extent.least.x };
                        place.x = edge + out.x * away;
                    }
                    sketch.labelled((place, place), text, parameter.name, (place, anchor(out)));
                }
            }
        }
    }

    /// A dimension beside a stretch, on the side that faces away from the piece's middle.
    fn beside(
        &self,
        sketch: &mut Sketch,
        (from, to): (DVec3, DVec3),
        middle: DVec3,
        away: f64,
        text: String,
        name: &'static str,
    ) {
        let (a, b, m) = (Side::Front.paper(from), Side::Front.paper(to), Side::Front.paper(middle));
        let along = (b - a).normalize_or_zero();
        let mut out = DVec2::new(-along.y, along.x);
        if out.dot((a + b) / 2.0 - m) < 0.0 {
            out = -out;
        }
        // Clear of whatever else of the piece stands out on that side along the stretch.
        let length = (b - a).dot(along);
        let beside = self.path.points(1.0).into_iter().map(|(_, at, _)| Side::Front.paper(at) - a);
        let beside = beside.filter(|p| (0.0..=length).contains(&p.dot(along)));
        let reach =
            beside.map(|p| p.dot(out)).fold(0.0, f64::max).min(0.4 * self.extent.size().max_element());
        let (from, to) = (a + out * (reach + away), b + out * (reach + away));
        sketch.labelled((point(from), point(to)), text, name, (point((from + to) / 2.0), anchor(out)));
    }

    /// A dimension across the inside of a turn.
    fn across(&self, sketch: &mut Sketch, (index, beside): (usize, bool), text: String, name: &'static str) {
        let (Some(placed), Some(segment)) = (self.path.placed.get(index), self.design.segments.get(index))
        else {
            return;
        };
        let (centre, half) = match (placed.centre(), segment.course) {
            (_, Course::Oval { long_mm, .. }) => ((placed.at(0.0).0 + placed.at(0.5).0) / 2.0, long_mm / 2.0),
            (_, Course::Ball { diameter_mm }) => {
                (placed.start.at - placed.start.ahead() * diameter_mm / 2.0, diameter_mm / 2.0)
            }
            (Some(centre), course) => (centre, course.tightest_mm().unwrap_or(0.0) / 2.0),
            (None, _) => return,
        };
        let size = self.extent.size();
        let middle = (self.extent.least + self.extent.most) / 2.0;
        // Above or below it, whichever leads out of the piece: beside it stand the lengths. Paper has y down.
        let upward = DVec2::new(0.0, if centre.y > middle.y { -1.0 } else { 1.0 });
        let out = if beside { outward(centre.x - middle.x) } else { upward };
        let centre = Side::Front.paper(centre);
        let across = (point(centre - DVec2::new(half, 0.0)), point(centre + DVec2::new(half, 0.0)));
        // A bend that takes up much of the piece has room for its text inside; a loop has not.
        if 2.0 * half > 0.25 * size.x.max(size.y) {
            sketch.dimension(across.0, across.1, text, name);
        } else {
            let clear = self.design.profile.thickness_mm() + 0.04 * size.x.max(size.y);
            let label = centre + out * (half + clear);
            sketch.labelled(across, text, name, (point(label), anchor(out)));
        }
    }
}
