//! Everything that is drawn: paths that can be read, inside their frame, to scale, and alike from one drawing to the
//! next; and the lines handed to a drawing program.
#![allow(clippy::unwrap_used, clippy::panic, missing_docs)]

use crate::common::{bench, kinds, ring_of, usual};
use kurbo::{BezPath, Rect, Shape as _};
use lorimant_core::drawing::Drawing;
use lorimant_core::making::Operation;
use lorimant_core::pattern::cad::Line;
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::shape::view::Side;
use lorimant_core::tool::mandrel::{Mandrel, Shape};
use lorimant_core::words::length::LengthUnit;
use proptest::prelude::*;
use rstest::rstest;

/// What the shapes of a drawing cover, stroke widths counted.
fn covered(drawing: &Drawing) -> Option<Rect> {
    let boxes = drawing.shapes.iter().map(|shape| {
        let path = BezPath::from_svg(&shape.path).unwrap_or_else(|_| panic!("{}", shape.path));
        let half = shape.width_mm.unwrap_or(0.0) / 2.0;
        path.bounding_box().inflate(half, half)
    });
    boxes.reduce(|all, one| all.union(one))
}

/// The drawing can be read, has something on it, and keeps inside its frame.
fn is_sound(drawing: &Drawing, what: &str) {
    let frame = drawing.frame;
    let covered = covered(drawing).unwrap_or_else(|| panic!("{what}: nothing is drawn"));
    let slack = 1e-3;
    assert!(
        covered.x0 >= frame.left_mm - slack && covered.y0 >= frame.top_mm - slack,
        "{what}: {covered:?} {frame:?}"
    );
    assert!(
        covered.x1 <= frame.left_mm + frame.width_mm + slack
            && covered.y1 <= frame.top_mm + frame.height_mm + slack,
        "{what}: {covered:?} {frame:?}"
    );
    assert!(!drawing.described.is_empty(), "{what} is not described");
    for dimension in &drawing.dimensions {
        assert!(!dimension.text.trim().is_empty(), "{what}: a dimension without a text");
    }
}

#[test]
fn every_view_and_step_of_every_finding_is_drawn_inside_its_frame() {
    for kind in Kind::all() {
        let name = kind.0.kind;
        let worked = PatternRequest::usual(kind).sheet(&bench()).result.unwrap();
        is_sound(&worked.front.drawing, &format!("{name}, front"));
        is_sound(&worked.side.drawing, &format!("{name}, side"));
        for (n, stage) in worked.stages.iter().enumerate() {
            is_sound(&stage.drawing, &format!("{name}, step {n}"));
        }
        // Each part can be lit by itself: it is drawn as a path of its own.
        assert_eq!(
            worked.front.parts.iter().map(|part| part.segment_n).max(),
            Some(worked.form.segments.len() - 1),
            "{name}"
        );
    }
}

#[test]
fn every_rod_gives_a_sound_drawing_of_its_rings() {
    for shape in Shape::ALL {
        let request = lorimant_core::ring::RingRequest {
            mandrel: Mandrel { shape: *shape, ..Mandrel::round(6.0) },
            ..ring_of(1.0, 6.0)
        };
        let worked = request.sheet(&bench()).result.unwrap();
        is_sound(&worked.wound, &format!("{shape}, wound"));
        is_sound(&worked.released, &format!("{shape}, let go"));
        // Every step has its own moment: the wire, the coil on the rod and off it, the ring as cut and shut.
        assert_eq!(worked.stages.len(), worked.steps.len());
        for (stage, step) in worked.stages.iter().zip(&worked.steps) {
            is_sound(stage, &format!("{shape}, {}", step.named));
        }
        let at = |operation| worked.steps.iter().position(|step| step.operation == operation).unwrap();
        let moments =
            [Operation::Straighten, Operation::Anchor, Operation::Wind, Operation::SlideOff, Operation::Saw]
                .map(|operation| &worked.stages[at(operation)].shapes);
        assert!(moments.windows(2).all(|pair| pair[0] != pair[1]), "{shape}");
        assert_ne!(worked.stages[at(Operation::Saw)].shapes, worked.stages[at(Operation::Close)].shapes);
    }
}

#[test]
fn the_first_step_shows_the_straight_blank_at_its_length() {
    for kind in Kind::all() {
        let request = PatternRequest::usual(kind);
        let formed = request.form().unwrap();
        let worked = request.sheet(&bench()).result.unwrap();
        let frame = worked.stages[0].drawing.frame;
        let long = frame.width_mm.hypot(frame.height_mm);
        assert!(long >= formed.developed_mm() - 1e-6, "{}: {long}", kind.0.kind);
    }
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(44))]

    /// The lines for a drawing program are the piece: end to end, and as long as its middle.
    #[test]
    fn exact_lines_join_and_are_as_long_as_the_piece(kind in kinds(), size in 0.8..1.2_f64) {
        let mut request = PatternRequest::usual(kind);
        request.wire.size_mm *= size;
        let Ok(formed) = request.form() else { return Ok(()) };
        let mut length = 0.0;
        for line in formed.lines() {
            length += match line {
                Line::Straight(from, to) => from.distance(to),
                Line::Arc { radius, from_deg, to_deg, .. } => radius * (to_deg - from_deg).abs().to_radians(),
                Line::Through(places) => places.windows(2).map(|pair| pair[0].distance(pair[1])).sum(),
            };
        }
        let drawn: f64 = formed.path.placed.iter().map(|placed| placed.length_mm).sum();
        prop_assert!((length - drawn).abs() < 2e-4 * drawn, "{} for {}", length, drawn);
    }

    /// The outline encloses no more than the wire laid side by side, and closed polygons are closed.
    #[test]
    fn outlines_enclose_the_wire(kind in kinds()) {
        let request = PatternRequest::usual(kind);
        let formed = request.form().unwrap();
        let outlines = formed.outlines();
        prop_assert!(!outlines.is_empty());
        for outline in &outlines {
            prop_assert!(outline.len() >= 3, "{} places", outline.len());
            prop_assert!(outline.iter().all(|(x, y)| x.is_finite() && y.is_finite()));
        }
        // As wide and high as the piece itself.
        let size = formed.extent.size();
        let spread = |of: fn(&(f64, f64)) -> f64| {
            let all = outlines.iter().flatten().map(of);
            let (low, high) = all.fold((f64::INFINITY, f64::NEG_INFINITY), |(l, h), v| (l.min(v), h.max(v)));
            high - low
        };
        prop_assert!((spread(|p| p.0) - size.x).abs() < 0.02, "{} for {}", spread(|p| p.0), size.x);
        prop_assert!((spread(|p| p.1) - size.y).abs() < 0.02, "{} for {}", spread(|p| p.1), size.y);
    }

    /// The same piece mirrored is drawn as in a mirror.
    #[test]
    fn a_mirrored_drawing_is_as_large(kind in kinds()) {
        let frame = |mirrored| {
            let request = PatternRequest { mirrored, ..PatternRequest::usual(kind) };
            let formed = request.form().unwrap();
            covered(&formed.drawn(Side::Front, LengthUnit::Mm).drawing).unwrap()
        };
        let (one, other) = (frame(false), frame(true));
        prop_assert!((one.width() - other.width()).abs() < 1e-3 && (one.height() - other.height()).abs() < 1e-3);
        prop_assert!((one.x0 + other.x1).abs() < 1e-3, "{:?} {:?}", one, other);
    }
}

#[test]
fn inches_first_changes_the_texts_of_a_drawing_and_nothing_else() {
    let hook = usual("hook-clasp");
    let formed = hook.form().unwrap();
    let (mm, inch) = (
        formed.drawn(Side::Front, LengthUnit::Mm).drawing,
        formed.drawn(Side::Front, LengthUnit::Inch).drawing,
    );
    assert_eq!(mm.shapes, inch.shapes);
    assert!(mm.dimensions.iter().zip(&inch.dimensions).all(|(a, b)| a.figure == b.figure));
    assert!(inch.dimensions.iter().any(|dimension| dimension.text.ends_with(" in")));
}

/// The turns of a coil join at its sides: nothing that lies in front ends in a cap of its own.
#[rstest]
#[case("cone-cap")]
#[case("coil-cap")]
fn the_turns_of_a_coil_join_at_its_sides(#[case] kind: &str) {
    let request = usual(kind);
    let shapes = request.form().unwrap().drawn(Side::Front, LengthUnit::Mm).drawing.shapes;
    // Behind lie the backs of the turns, drawn first and with round sides; of the fronts each is drawn over what goes
    // round its side.
    let last_back = shapes.iter().rposition(|shape| shape.round_ends).unwrap();
    let turns = request.value("turns_n");
    assert!((shapes.len() - 1 - last_back) as f64 >= 3.0 * (turns - 1.5), "{last_back} of {}", shapes.len());
}
