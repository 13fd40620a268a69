//! What a planning view shows: drawings measured in millimetres, strips that add up, figures with whole
//! workings, cautions that come when they should.
#![allow(clippy::unwrap_used, clippy::cast_possible_truncation, clippy::cast_sign_loss, missing_docs)]

use crate::common::{bench, ring_of};
use kurbo::{BezPath, Rect, Shape as _};
use lorimant_core::drawing::{Drawing, Role};
use lorimant_core::figure::Level;
use lorimant_core::ring::sheet::{Worked, ZoneKind};
use lorimant_core::ring::{RingRequest, Winding};
use lorimant_core::tool::cutting::{Blade, Cutting, Method};
use lorimant_core::tool::mandrel::{Mandrel, Shape};
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::Section;
use rstest::rstest;

fn request(shape: Shape, section: Section) -> RingRequest {
    RingRequest {
        wire: Wire { section, ..Wire::round(Metal::Brass, 1.2, Temper::HalfHard) },
        mandrel: Mandrel { shape, usable_mm: Some(60.0), ..Mandrel::round(6.0) },
        rings_n: 20,
        cutting: Cutting { blade: Some(Blade::B2o), ..Cutting::default() },
        ..ring_of(1.2, 6.0)
    }
}

fn worked(request: &RingRequest) -> Worked {
    request.sheet(&bench()).result.unwrap()
}

/// Bounding box of everything with a role, stroke widths left out.
fn bounds(drawing: &Drawing, role: Role) -> Vec<Rect> {
    let shapes = drawing.shapes.iter().filter(|shape| shape.role == role);
    shapes.map(|shape| BezPath::from_svg(&shape.path).unwrap().bounding_box()).collect()
}

/// The ring stands on the drawing at its own size: its centreline is as wide as inside plus one wire.
#[rstest]
#[case(Shape::Round, Section::Round)]
#[case(Shape::Round, Section::Square)]
#[case(Shape::Round, Section::HalfRound)]
#[case(Shape::Square, Section::Round)]
#[case(Shape::Octagon, Section::Round)]
#[case(Shape::Oval, Section::Round)]
fn the_ring_is_drawn_to_scale(#[case] shape: Shape, #[case] section: Section) {
    let request = request(shape, section);
    let worked = worked(&request);
    let thickness = request.wire.profile().thickness_mm();
    let wide = worked.plan.ring_inside_diameter_mm + thickness;
    let high = worked.plan.ring_inside_short_mm + thickness;
    let found = bounds(&worked.wound, Role::Wire)
        .into_iter()
        .any(|b| (b.width() - wide).abs() < 0.01 && (b.height() - high).abs() < 0.01);
    assert!(found, "no ring {wide} × {high} in {:?}", bounds(&worked.wound, Role::Wire));
}

/// The rod is as thick as it is; let go, the coil stands clear of it by the springback.
#[test]
fn the_coil_lies_on_its_rod_and_lets_go() {
    let request = request(Shape::Round, Section::Round);
    let worked = worked(&request);
    assert!((bounds(&worked.wound, Role::Rod)[0].height() - 6.0).abs() < 1e-3);
    let mean = |drawing: &Drawing| bounds(drawing, Role::Wire)[1].height();
    assert!((mean(&worked.wound) - 7.2).abs() < 0.01, "one wire between rod and rim");
    let loose = worked.plan.coil_inside_diameter_mm + 1.2;
    assert!((mean(&worked.released) - loose).abs() < 0.01);
    // Few enough turns to draw all: as many as were wound, then as many as are left.
    let turns = |drawing: &Drawing| drawing.shapes.iter().filter(|shape| shape.round_ends).count();
    assert_eq!(turns(&worked.wound), worked.plan.turns_wound.round() as usize);
    assert_eq!(turns(&worked.released), worked.plan.turns_relaxed.round() as usize);
}

#[rstest]
#[case(Method::Saw, ZoneKind::Kerf)]
#[case(Method::DoubleFlush, ZoneKind::Sliver)]
fn the_strip_adds_up_to_what_a_ring_takes(#[case] method: Method, #[case] kind: ZoneKind) {
    let mut request = request(Shape::Round, Section::Round);
    request.cutting = Cutting { method, ..Cutting::default() };
    let worked = worked(&request);
    let zones = &worked.strip.zones;
    assert!(zones.windows(2).all(|pair| (pair[0].to_mm - pair[1].from_mm).abs() < 1e-12));
    assert_eq!(zones[1].kind, kind);
    let taken = zones[1].to_mm * f64::from(request.rings_n);
    let plan = &worked.plan;
    assert!((taken - plan.rings_wire_mm - plan.cutting_wire_mm).abs() < 1e-9);
    assert!(worked.strip.sum.starts_with("× 20 = "), "{}", worked.strip.sum);
}

/// The plot and the line of rods say what planning on that rod says.
#[test]
fn curves_and_rods_agree_with_planning_on_them() {
    let request = request(Shape::Round, Section::Round);
    let worked = worked(&request);
    let ring_on = |rod: Mandrel, temper: Temper| {
        let wire = Wire { temper, ..request.wire.clone() };
        RingRequest { wire, mandrel: rod, ..request.clone() }.plan().unwrap().ring_inside_diameter_mm
    };
    for curve in &worked.curves {
        for point in &curve.points {
            let ring = ring_on(Mandrel::round(point.rod_mm), curve.temper);
            assert!((ring - point.ring_mm).abs() < 1e-9);
        }
    }
    assert_eq!(worked.curves.iter().filter(|curve| curve.chosen).count(), 1);
    for placed in &worked.rods {
        let ring = ring_on(placed.mandrel.clone(), request.wire.temper);
        assert!((ring - placed.ring_inside_diameter_mm).abs() < 1e-9);
    }
    assert!(worked.rods.len() > 20, "rods thinner than the wire are skipped, the others are there");
}

#[test]
fn every_figure_has_a_whole_working() {
    for shape in Shape::ALL {
        for figure in worked(&request(*shape, Section::Round)).figures {
            let w = &figure.working;
            for part in [&w.text, &w.formula, &w.numbers, &w.assumption, &w.spread, &w.source] {
                assert!(!part.trim().is_empty(), "{} on {shape}: {w:?}", figure.key);
            }
            assert!(
                !figure.label.is_empty() && !figure.value.contains("NaN") && !figure.value.contains("inf")
            );
        }
    }
}

#[test]
fn cautions_come_with_what_they_are_about() {
    let level = |change: fn(&mut RingRequest), words: &str| {
        let mut request = request(Shape::Round, Section::Round);
        change(&mut request);
        let cautions = worked(&request).cautions;
        cautions.into_iter().find(|caution| caution.text.contains(words)).map(|caution| caution.level)
    };
    assert_eq!(level(|_| {}, "turning rod"), None);
    assert_eq!(level(|r| r.winding = Winding::SlowDrill, "turning rod"), Some(Level::Watch));
    assert_eq!(level(|r| r.wire.metal = Metal::NickelSilver, "nickel"), Some(Level::Watch));
    assert_eq!(level(|r| r.wire.section = Section::Square, "must not twist"), Some(Level::Note));
    assert_eq!(level(|r| r.mandrel.shape = Shape::Hexagon, "corners"), Some(Level::Note));
    // Half-hard brass has 1.214 left; on 6 mm the outer fibre takes ln(1 + 1.2/7.2) = 0.154.
    assert_eq!(level(|_| {}, "probably crack"), None);
    // Spring titanium has 0.06 left, and spring brass 0.658: springs are wound of it.
    let titanium = |r: &mut RingRequest| (r.wire.metal, r.wire.temper) = (Metal::Titanium, Temper::Spring);
    assert_eq!(level(titanium, "probably crack"), Some(Level::Stop));
    assert_eq!(level(|r| r.wire.temper = Temper::Spring, "crack"), None);
}
