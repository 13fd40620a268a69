//! What a step looks like at its tool, to scale: wire on the jaw at its mark, wire along the ruler at its cut.

use kurbo::{Arc, BezPath, Circle, Line, Point, Rect, Shape as _, Vec2};

use crate::drawing::{Drawing, Role, Sketch};
use crate::making::{Numbers, Operation, Step};
use crate::tool::plier::Plier;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{LengthUnit, on_ruler};
use lorimant_text::{fixed, text};

/// How exactly curves are drawn, mm.
const FINE_MM: f64 = 0.01;
/// Longer wire is measured by the metre stick, which no drawing shows well, mm.
const LONGEST_MM: f64 = 200.0;

/// The wire at the tool of a step; nothing where no place on a jaw or ruler is read at it.
pub(super) fn at_tool(step: &Step, wire: &Wire, workshop: &Workshop) -> Option<Drawing> {
    let unit = workshop.habits.unit;
    match step.operation {
        Operation::Cut | Operation::Mark => on_the_ruler(step, wire, unit),
        Operation::Loop | Operation::Bend | Operation::Kick => on_the_jaw(step, wire, workshop),
        _ => None,
    }
}

/// Diameter of a jaw at a place from its tip, mm.
fn diameter_mm(plier: Option<&Plier>, numbers: &Numbers, at_mm: f64) -> Option<f64> {
    let here = numbers.own_mm.or(numbers.tool_mm)?;
    let by_slip = here + numbers.slip_mm.unwrap_or(0.0) * (at_mm - numbers.jaw_mm?);
    Some(plier.and_then(|plier| plier.diameter_at(at_mm)).unwrap_or(by_slip).max(0.2))
}

/// A jaw from the side, its tip to the right, with the wire across it at its mark; and from its tip, with what the wire
/// becomes round it.
fn on_the_jaw(step: &Step, wire: &Wire, workshop: &Workshop) -> Option<Drawing> {
    let unit = workshop.habits.unit;
    let numbers = &step.numbers;
    let (jaw_mm, tool) = (numbers.jaw_mm?, numbers.tool.as_ref()?);
    let plier = workshop.plier(tool);
    let thick = wire.profile().thickness_mm();
    let here = diameter_mm(plier, numbers, jaw_mm)?;
    let shown_mm = (jaw_mm + 3.0 * here).max(jaw_mm + 6.0);
    let (tip, back) = (diameter_mm(plier, numbers, 0.0)?, diameter_mm(plier, numbers, shown_mm)?);

    let mut sketch = Sketch::new();
    let mut jaw = BezPath::new();
    jaw.move_to((0.0, -tip / 2.0));
    jaw.line_to((0.0, tip / 2.0));
    jaw.line_to((-shown_mm, back / 2.0));
    jaw.line_to((-shown_mm, -back / 2.0));
    jaw.close_path();
    sketch.shape(Role::Rod, &jaw);
    let hang = 2.6 * here;
    let band = Line::new((-jaw_mm, -(here + thick) / 2.0), (-jaw_mm, hang));
    sketch.wire(Role::Wire, &band.to_path(FINE_MM), thick);
    let below = hang + 0.35 * here;
    sketch.dimension(Point::new(-jaw_mm, below), Point::new(0.0, below), on_ruler(jaw_mm, unit), "jaw");
    for x in [-jaw_mm, 0.0] {
        let to = if x < 0.0 { hang } else { tip / 2.0 };
        sketch.shape(Role::RodEdge, &Line::new((x, to), (x, below)).to_path(FINE_MM));
    }
    sketch.note(Point::new(0.0, -back / 2.0), text!("at-tool-tip").to_owned());

    let middle = Point::new(2.2 * here + 2.0 * thick + 3.0, 0.0);
    sketch.shape(Role::Rod, &Circle::new(middle, here / 2.0).to_path(FINE_MM));
    let radius = (here + thick) / 2.0;
    let turned = numbers.angle_to_deg.unwrap_or(180.0).min(350.0).to_radians();
    // Up the stem at the right of the jaw, over its top and round.
    let mut bent = BezPath::new();
    bent.move_to((middle.x + radius, hang));
    bent.line_to((middle.x + radius, 0.0));
    let arc = Arc::new(middle, Vec2::new(radius, radius), 0.0, -turned, 0.0);
    arc.append_iter(FINE_MM).for_each(|element| bent.push(element));
    if step.operation != Operation::Loop {
        let end = middle + Vec2::from_angle(-turned) * radius;
        let ahead = Vec2::from_angle(-turned - std::f64::consts::FRAC_PI_2);
        bent.line_to(end + ahead * hang);
    }
    sketch.wire(Role::Wire, &bent, thick);
    let place = on_ruler(jaw_mm, unit);
    Some(sketch.finish(text!("at-tool-on-jaw", tool, place)))
}

/// A straight piece along a ruler that begins at its flush end: where it is cut, or what is marked on it.
fn on_the_ruler(step: &Step, wire: &Wire, unit: LengthUnit) -> Option<Drawing> {
    let numbers = &step.numbers;
    let whole = numbers.on_ruler_mm.or(numbers.left_mm).or(numbers.length_mm);
    let length = whole.unwrap_or(step.workpiece.length_mm);
    if !(2.0..=LONGEST_MM).contains(&length) {
        return None;
    }
    let thick = wire.profile().thickness_mm();
    let mut sketch = Sketch::new();
    let edge = thick / 2.0 + 0.6;
    // A little more of both than is needed.
    let beyond = if step.operation == Operation::Cut { (0.18 * length).min(12.0) } else { 0.0 };
    let end = length + beyond.max(4.0);
    let high = (0.16 * length).clamp(5.0, 14.0);
    sketch.shape(Role::Ruler, &Rect::new(-1.5, edge, end, edge + high).to_path(FINE_MM));
    ticks(&mut sketch, end, edge, high, unit);
    let wire_line = Line::new((0.0, 0.0), (length + beyond, 0.0));
    sketch.wire(Role::Wire, &wire_line.to_path(FINE_MM), thick);
    let across = |x: f64| Line::new((x, -thick - 0.9), (x, edge + 0.4 * high)).to_path(FINE_MM);
    let mut above = -thick - 2.2;
    if step.operation == Operation::Cut {
        sketch.shape(Role::Kerf, &across(length));
        sketch.dimension(Point::new(0.0, above), Point::new(length, above), on_ruler(length, unit), "cut");
    }
    for mark in &step.marks {
        let (from, at) = if mark.far { (length, length - mark.mm) } else { (0.0, mark.mm) };
        sketch.shape(Role::Mark, &across(at));
        sketch.dimension(Point::new(from, above), Point::new(at, above), on_ruler(mark.mm, unit), "mark");
        above -= (0.09 * length).clamp(2.6, 9.0);
    }
    let place = on_ruler(length, unit);
    Some(sketch.finish(text!("at-tool-on-ruler", place)))
}

/// The lines of a ruler as the one in hand has them: millimetres, or sixteenths of an inch, with a number at each
/// centimetre or inch.
fn ticks(sketch: &mut Sketch, end_mm: f64, edge: f64, high: f64, unit: LengthUnit) {
    let (step_mm, half, whole) = match unit {
        LengthUnit::Mm => (1.0, 5, 10),
        LengthUnit::Inch => (MM_PER_INCH / 16.0, 8, 16),
    };
    let mut n = 0_u32;
    while f64::from(n) * step_mm <= end_mm {
        let x = f64::from(n) * step_mm;
        let long = match n {
            n if n.is_multiple_of(whole) => 0.5,
            n if n.is_multiple_of(half) => 0.36,
            _ => 0.22,
        };
        sketch.shape(Role::RodEdge, &Line::new((x, edge), (x, edge + long * high)).to_path(FINE_MM));
        if n.is_multiple_of(whole) {
            let number = if unit == LengthUnit::Mm { f64::from(n) } else { f64::from(n / whole) };
            sketch.note(Point::new(x, edge + 0.5 * high), fixed(number, 0));
        }
        n += 1;
    }
}
