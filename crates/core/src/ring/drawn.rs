//! A ring plan drawn to scale: the coil on its rod and one ring beside it.

use kurbo::{Affine, Arc, BezPath, Circle, Ellipse, Point, Rect, RoundedRect, Shape as _, Vec2};

use super::{RingPlan, RingRequest};
use crate::drawing::{Drawing, Role, Sketch};
use crate::making::{Operation, Step, Workpiece};
use crate::tool::coil::Coil;
use crate::tool::method::AnchorBy;
use crate::tool::outline::Outline;
use crate::wire::section::Section;
use crate::words::length::{LengthUnit, caliper, caliper_number, on_ruler};
use crate::words::words;
use lorimant_text::{fixed, text};

/// A coil longer than so many outside diameters is drawn with a break.
const LONGEST_DRAWN: f64 = 3.4;

words! {
    /// Which moment is drawn.
    pub enum Moment ("moment") {
        /// Tight on the rod.
        Wound = "wound";
        /// After letting go.
        Released = "released";
    }
}

/// The size a dimension says, in the unit the workshop reads first.
fn told(mm: f64, unit: LengthUnit) -> String {
    match unit {
        LengthUnit::Mm => caliper_number(mm, unit),
        LengthUnit::Inch => caliper(mm, unit),
    }
}

impl RingPlan {
    /// The coil on its rod, wound or let go, with one cut and closed ring beside it at the same
    /// scale.
    pub fn drawn(&self, request: &RingRequest, coil: &Coil, moment: Moment, unit: LengthUnit) -> Drawing {
        let mut sketch = Sketch::new();
        let end = self.draw_coil(&mut sketch, request, coil, (moment, true), unit);
        let radius = self.ring_outside_diameter_mm / 2.0;
        let centre = Point::new(end + 0.55 * self.ring_outside_diameter_mm + radius, 0.0);
        self.draw_ring(&mut sketch, request, coil, centre, unit);
        let state = match moment {
            Moment::Wound => text!("ring-drawn-wound-tight-on"),
            Moment::Released => text!("ring-drawn-sprung-open-loose-on"),
        };
        sketch.finish(text!(
            "ring-drawn-coil-one-ring-cut-from",
            turns_per_coil_n = text!("count-turn", n = self.turns_per_coil_n),
            state,
            mandrel = request.mandrel.shown_in(unit),
            ring_inside_diameter_mm = caliper(self.ring_inside_diameter_mm, unit),
            ring_outside_diameter_mm = caliper(self.ring_outside_diameter_mm, unit)
        ))
    }

    /// Draws the coil and returns where the rod ends, mm.
    fn draw_coil(
        &self,
        sketch: &mut Sketch,
        request: &RingRequest,
        coil: &Coil,
        (moment, on_the_rod): (Moment, bool),
        unit: LengthUnit,
    ) -> f64 {
        let thickness = coil.profile.thickness_mm();
        let width = coil.profile.size_mm;
        let loose = coil.relaxed.short_across() + 2.0 * thickness;
        let all_turns = self.coil_length_mm / coil.pitch_mm;
        let (inside, turns, pitch) = match moment {
            Moment::Wound => (coil.wound.short_across(), all_turns, coil.pitch_mm),
            Moment::Released => {
                (coil.relaxed.short_across(), all_turns * coil.springback_ratio, coil.relaxed_pitch_mm())
            }
        };
        let (mean, outer) = (inside + thickness, inside + 2.0 * thickness);
        let room = (LONGEST_DRAWN * (coil.wound.short_across() + 2.0 * thickness)).max(8.0 * pitch);
        let broken = turns * pitch > room;
        let drawn_turns = if broken { (room / pitch).floor() } else { turns };
        let length = drawn_turns * pitch;
        let stub = 0.55 * outer.max(2.0 * width);

        let rod = request.mandrel.outline();
        if on_the_rod {
            draw_rod(sketch, request, rod, Rect::new(-stub, 0.0, length + stub, 0.0));
        }

        let other = match moment {
            Moment::Wound => loose,
            Moment::Released => coil.wound.short_across() + 2.0 * thickness,
        };
        // The tail leaves from under the first turn.
        let mut tail = BezPath::new();
        tail.move_to((width / 2.0, mean / 2.0));
        tail.curve_to(
            (width / 2.0, mean / 2.0 + 0.12 * outer),
            (0.0, mean / 2.0 + 0.24 * outer),
            (-0.45 * outer, mean / 2.0 + 0.26 * outer),
        );
        sketch.wire(Role::Wire, &tail, thickness);
        for turn in whole_turns(drawn_turns) {
            let x = turn * pitch + width / 2.0;
            // Round wire shows its round side at the rim; the others end flat at their outer face.
            match coil.profile.section {
                Section::Round => {
                    sketch.round_wire(Role::Wire, &front_of_turn(x, pitch, mean / 2.0), width);
                }
                Section::Square | Section::HalfRound => {
                    sketch.wire(Role::Wire, &front_of_turn(x, pitch, outer / 2.0), width);
                }
            }
        }
        if broken {
            draw_break(sketch, length / 2.0, outer, 1.6 * width.max(0.15 * outer));
        }
        if on_the_rod {
            let half = other / 2.0;
            let ghost = Rect::new(0.0, -half, length, half);
            sketch.shape(Role::Ghost, &ghost.to_path(0.01));
        }

        let above = -outer.max(loose) / 2.0 - 0.16 * outer;
        // On the rod turns are counted; what is left of them once it sprang open is only seen.
        let count = match moment {
            Moment::Wound => self.coils_told(),
            Moment::Released => text!("ring-drawn-turns-left", turns = fixed(turns, 1)),
        };
        let long = on_ruler(self.coil_length_mm, unit);
        let text = text!("ring-drawn-coil-long", count, long, each = self.coils_n > 1);
        sketch.dimension(Point::new(0.0, above), Point::new(length, above), text, "coil-length");
        let x = length + 0.62 * stub;
        let rod_half = coil.wound.short_across() / 2.0;
        let rod_text = told(rod.short_across(), unit);
        sketch.dimension(Point::new(x, -rod_half), Point::new(x, rod_half), rod_text, "coil-inside");
        length + stub
    }

    /// What is in hand after each step: the wire, the stub that anchors it, the coil, a ring as cut, the ring shut.
    pub(super) fn stages(
        &self,
        request: &RingRequest,
        coil: &Coil,
        steps: &[Step],
        unit: LengthUnit,
    ) -> Vec<Drawing> {
        steps.iter().map(|step| self.stage(request, coil, step, unit)).collect()
    }

    fn stage(&self, request: &RingRequest, coil: &Coil, step: &Step, unit: LengthUnit) -> Drawing {
        let mut sketch = Sketch::new();
        let piece = &step.workpiece;
        let described = text!("ring-drawn-after", operation = step.operation, what = step.what);
        match (piece.coil, piece.inside_mm) {
            (Some(wound), _) => {
                let moment = if step.operation == Operation::Wind { Moment::Wound } else { Moment::Released };
                self.draw_coil(&mut sketch, request, coil, (moment, wound.on_the_rod), unit);
            }
            (None, Some(_)) => draw_in_hand(&mut sketch, request, coil, piece, self.gap_step_mm),
            (None, None) => {
                draw_wire(&mut sketch, request, coil, step.numbers.held_by);
            }
        }
        sketch.finish(described)
    }

    /// One ring, closed, seen from the front.
    pub(super) fn ring_alone(&self, request: &RingRequest, coil: &Coil, unit: LengthUnit) -> Drawing {
        let mut sketch = Sketch::new();
        let thickness = coil.profile.thickness_mm();
        let inside = closed(request, coil);
        sketch.wire(Role::Wire, &outline_path(inside, thickness / 2.0), thickness);
        cut_line(&mut sketch, inside, thickness, Point::ZERO);
        sketch.finish(text!(
            "ring-drawn-one-ring-inside",
            ring_inside_diameter_mm = caliper(self.ring_inside_diameter_mm, unit)
        ))
    }

    fn draw_ring(
        &self,
        sketch: &mut Sketch,
        request: &RingRequest,
        coil: &Coil,
        at: Point,
        unit: LengthUnit,
    ) {
        let thickness = coil.profile.thickness_mm();
        let inside = closed(request, coil);
        let place = Affine::translate(Vec2::new(at.x, at.y));
        sketch.wire(Role::Wire, &(place * outline_path(inside, thickness / 2.0)), thickness);
        sketch.shape(Role::Ghost, &(place * outline_path(coil.relaxed, 0.0)));
        let (top, _) = reach(inside);
        cut_line(sketch, inside, thickness, at);
        let across = self.ring_inside_diameter_mm / 2.0;
        let text = told(self.ring_inside_diameter_mm, unit);
        // A hexagon lies with its flats at top and bottom.
        let hexagon = matches!(inside, Outline::Flats { sides: 6, .. });
        let half = if hexagon { Vec2::new(0.0, across) } else { Vec2::new(across, 0.0) };
        sketch.dimension(at - half, at + half, text, "ring-inside");

        // The same ring before it is closed, seen from its gap: the ends stand a pitch apart.
        let mean = self.ring_inside_diameter_mm / 2.0 + thickness / 2.0;
        let edge = at
            + Vec2::new(0.0, top + thickness + 1.1 * self.gap_step_mm + 0.32 * self.ring_outside_diameter_mm);
        let step = self.gap_step_mm;
        for side in [-1.0, 1.0] {
            let mut half = BezPath::new();
            half.move_to(edge + Vec2::new(side * mean, -side * step / 4.0));
            half.line_to(edge + Vec2::new(side * 0.02 * mean, -side * step / 2.0));
            sketch.wire(Role::Wire, &half, coil.profile.size_mm);
        }
        let low = edge.y + step / 2.0 + coil.profile.size_mm / 2.0;
        sketch.note(Point::new(at.x, low), text!("ring-drawn-as-cut-ends-apart", step = caliper(step, unit)));
    }
}

/// Straight wire, as much as is drawn of it; anchored, with what holds its tail at the rod.
fn draw_wire(sketch: &mut Sketch, request: &RingRequest, coil: &Coil, held_by: Option<AnchorBy>) {
    let (thickness, across) = (coil.profile.thickness_mm(), coil.wound.short_across());
    let outer = across + 2.0 * thickness;
    let mut wire = BezPath::new();
    let Some(held_by) = held_by else {
        wire.move_to((0.0, 0.0));
        wire.line_to((2.0 * LONGEST_DRAWN * outer, 0.0));
        return sketch.wire(Role::Wire, &wire, thickness);
    };
    let stub = 0.55 * outer;
    let rod = Rect::new(-stub, 0.0, LONGEST_DRAWN * outer + stub, 0.0);
    draw_rod(sketch, request, request.mandrel.outline(), rod);
    // The wire comes up to the rod from below.
    let below = outer;
    let bent_over = |wire: &mut BezPath, from: f64, near: f64| {
        wire.move_to((from, near));
        wire.line_to((-thickness, near));
        wire.quad_to((thickness / 2.0, near), (thickness / 2.0, near + 1.5 * thickness));
        wire.line_to((thickness / 2.0, below));
    };
    match held_by {
        AnchorBy::Thumb | AnchorBy::Vise => bent_over(&mut wire, -0.8 * stub, across / 2.0 - thickness),
        AnchorBy::Slot => {
            let slot = Rect::new(-stub, -0.7 * thickness, 0.0, 0.7 * thickness);
            sketch.shape(Role::Break, &slot.to_path(0.01));
            bent_over(&mut wire, -0.9 * stub, 0.0);
        }
        AnchorBy::Hole => {
            let hole = Circle::new((thickness / 2.0, 0.0), 0.8 * thickness);
            sketch.shape(Role::Break, &hole.to_path(0.01));
            wire.move_to((thickness / 2.0, 0.0));
            wire.line_to((thickness / 2.0, below));
        }
    }
    sketch.wire(Role::Wire, &wire, thickness);
    if held_by == AnchorBy::Vise {
        // Two jaws, one on either side of rod and tail.
        for (from, to) in [(-0.9 * outer, -across / 2.0), (across / 2.0, 0.9 * outer)] {
            let jaw = Rect::new(-2.4 * stub, from, -0.25 * stub, to);
            sketch.shape(Role::RodEdge, &jaw.to_path(0.01));
        }
    }
}

/// One ring in hand: as cut, its ends a pitch apart sideways; shut; as wide as it was hammered; joined without a line.
fn draw_in_hand(sketch: &mut Sketch, request: &RingRequest, coil: &Coil, piece: &Workpiece, step_mm: f64) {
    let profile = coil.profile;
    let thickness = profile.thickness_mm();
    let inside = piece.outline.unwrap_or(coil.relaxed);
    let stretch = piece.stretches.first();
    let hammered = stretch.is_some_and(|stretch| stretch.thickness_mm < thickness - 1e-9);
    let wide = stretch.filter(|_| hammered).map_or(thickness, |stretch| stretch.width_mm);
    sketch.wire(Role::Wire, &outline_path(inside, wide / 2.0), wide);
    let (top, _) = reach(inside);
    if piece.shut {
        if piece.joined.is_none() {
            cut_line(sketch, inside, wide, Point::ZERO);
        }
        return;
    }
    // The cut, as wide as what it takes, and the two ends seen from above.
    let taken = request.cutting.taken(request.wire.size_mm).from_ring_mm.max(0.04 * thickness);
    let mut gap = BezPath::new();
    gap.move_to((0.0, -top - thickness));
    gap.line_to((0.0, -top));
    sketch.wire(Role::Kerf, &gap, taken);
    let edge = top + 2.2 * thickness + step_mm;
    for side in [-1.0, 1.0] {
        let mut half = BezPath::new();
        half.move_to((side * top, edge - side * step_mm / 4.0));
        half.line_to((side * 0.02 * top, edge - side * step_mm / 2.0));
        sketch.wire(Role::Wire, &half, profile.size_mm);
    }
}

/// The inside of a ring once its cut is closed.
fn closed(request: &RingRequest, coil: &Coil) -> Outline {
    let taken = request.cutting.taken(request.wire.size_mm);
    coil.closed(taken.from_ring_mm).unwrap_or(coil.relaxed)
}

/// The closed cut at the top of a ring.
fn cut_line(sketch: &mut Sketch, inside: Outline, thickness: f64, at: Point) {
    let (top, _) = reach(inside);
    let mut gap = BezPath::new();
    gap.move_to(at + Vec2::new(0.0, -top - thickness));
    gap.line_to(at + Vec2::new(0.0, -top));
    sketch.wire(Role::Kerf, &gap, 0.04 * thickness);
}

/// Half of the height and half of the width an outline's inside reaches, mm.
fn reach(outline: Outline) -> (f64, f64) {
    (outline.short_across() / 2.0, outline.across() / 2.0)
}

fn whole_turns(turns: f64) -> impl Iterator<Item = f64> {
    #[expect(
        clippy::cast_possible_truncation,
        clippy::cast_sign_loss,
        reason = "bounded by the drawn length"
    )]
    let n = turns.round().clamp(1.0, 400.0) as u32;
    (0..n).map(f64::from)
}

/// The visible half of a turn in side view: half a cosine wave, as one cubic.
fn front_of_turn(x: f64, pitch: f64, radius: f64) -> BezPath {
    let advance = pitch / 2.0;
    let start = x - advance / 2.0;
    // The cubic that best follows half a cosine has its handles at 0.3642 of the way.
    let handle = 0.3642 * advance;
    let mut path = BezPath::new();
    path.move_to((start, radius));
    path.curve_to((start + handle, radius), (start + advance - handle, -radius), (start + advance, -radius));
    path
}

fn draw_rod(sketch: &mut Sketch, request: &RingRequest, outline: Outline, along: Rect) {
    let half = outline.short_across() / 2.0;
    let body = Rect::new(along.x0, -half, along.x1, half);
    let role = if request.mandrel.tape_layers > 0 { Role::Tape } else { Role::Rod };
    if role == Role::Tape {
        let bare = crate::tool::mandrel::Mandrel { tape_layers: 0, ..request.mandrel.clone() }.outline();
        let half = bare.short_across() / 2.0;
        let core = Rect::new(along.x0 - 0.3 * half, -half, along.x1 + 0.3 * half, half);
        sketch.shape(Role::Rod, &core.to_path(0.01));
    }
    sketch.shape(role, &body.to_path(0.01));
    // The edges of a hexagon or octagon seen on its flat.
    let edges: &[f64] = match outline {
        Outline::Flats { sides: 6, .. } => &[-0.288_675, 0.288_675],
        Outline::Flats { sides: 8, .. } => &[-0.207_107, 0.207_107],
        _ => &[],
    };
    for share in edges {
        let y = share * outline.across();
        let mut edge = BezPath::new();
        edge.move_to((along.x0, y));
        edge.line_to((along.x1, y));
        sketch.shape(Role::RodEdge, &edge);
    }
}

/// A torn gap across the coil: paper between two zigzags.
fn draw_break(sketch: &mut Sketch, x: f64, outer: f64, width: f64) {
    let (half, lean) = (outer / 2.0 * 1.04, width * 0.3);
    let mut path = BezPath::new();
    let steps = 6;
    let zigzag = |i: i32| if i % 2 == 0 { lean } else { -lean };
    for i in 0..=steps {
        let y = half * (2.0 * f64::from(i) / f64::from(steps) - 1.0);
        let point = Point::new(x - width / 2.0 + zigzag(i), y);
        if i == 0 { path.move_to(point) } else { path.line_to(point) }
    }
    for i in (0..=steps).rev() {
        let y = half * (2.0 * f64::from(i) / f64::from(steps) - 1.0);
        path.line_to(Point::new(x + width / 2.0 + zigzag(i), y));
    }
    path.close_path();
    sketch.shape(Role::Break, &path);
}

/// The line at a distance outside an outline, centred on the origin.
fn outline_path(outline: Outline, distance: f64) -> BezPath {
    match outline {
        Outline::Round { diameter } => Circle::new(Point::ORIGIN, diameter / 2.0 + distance).to_path(0.001),
        Outline::Oval { long, short } => {
            let radii = Vec2::new(long / 2.0 + distance, short / 2.0 + distance);
            Ellipse::new(Point::ORIGIN, radii, 0.0).to_path(0.001)
        }
        Outline::Flats { sides: 4, across, corner } => {
            let half = across / 2.0 + distance;
            RoundedRect::new(-half, -half, half, half, corner + distance).to_path(0.001)
        }
        Outline::Flats { sides, across, corner } => rounded_polygon(sides, across, corner, distance),
    }
}

/// A regular polygon resting on a flat, its corners rounded; grown outward by a distance.
fn rounded_polygon(sides: u32, across: f64, corner: f64, distance: f64) -> BezPath {
    let n = f64::from(sides);
    let step = std::f64::consts::TAU / n;
    // Corner centres lie where the flats moved in by the corner's radius meet.
    let reach = (across / 2.0 - corner).max(0.0) / (step / 2.0).cos();
    let mut path = BezPath::new();
    for i in 0..sides {
        let towards = step * (f64::from(i) + 0.5) - std::f64::consts::FRAC_PI_2;
        let centre = Point::ORIGIN + Vec2::from_angle(towards) * reach;
        let radius = corner + distance;
        let arc = Arc::new(centre, Vec2::new(radius, radius), towards - step / 2.0, step, 0.0);
        let start = centre + Vec2::from_angle(towards - step / 2.0) * radius;
        if i == 0 {
            path.move_to(start)
        } else {
            path.line_to(start)
        }
        path.extend(arc.append_iter(0.001));
    }
    path.close_path();
    path
}
