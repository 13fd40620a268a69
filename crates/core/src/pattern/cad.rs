//! A piece as lines for a drawing program: its centreline in exact lines and arcs, its outline.

use glam::DVec3;
use kurbo::{BezPath, Cap, Join, PathEl, Stroke, StrokeOpts, stroke};

use super::form::FormedPiece;
use crate::shape::Course;
use crate::shape::path::{Curve, Placed};
use crate::shape::view::centreline;

/// A part of the centreline, mm, y up.
#[derive(Debug, Clone, PartialEq)]
pub enum Line {
    /// Straight, from one place to another.
    Straight(DVec3, DVec3),
    /// Part of a circle in the drawing's plane, counter-clockwise, degrees from the right.
    Arc {
        /// Centre.
        centre: DVec3,
        /// Radius.
        radius: f64,
        /// Where it starts.
        from_deg: f64,
        /// Where it ends; 360 on from the start for a whole circle.
        to_deg: f64,
    },
    /// Anything else, through places close together.
    Through(Vec<DVec3>),
}

/// Places a turn on a line that is neither straight nor an arc.
const PLACES_A_TURN: f64 = 720.0;
/// How far the outline's straight stretches may stray from its curves, mm.
const FLATTENED_MM: f64 = 0.002;

fn line(placed: &Placed) -> Line {
    match placed.curve {
        Curve::Line { .. } => Line::Straight(placed.at(0.0).0, placed.at(1.0).0),
        Curve::Turn { from, to, angle, rise, .. } => {
            let flat = placed.axis().filter(|axis| axis.z.abs() > 1.0 - 1e-12);
            match (placed.centre(), flat) {
                (Some(centre), Some(axis)) if (from - to).abs() < 1e-12 && rise.abs() < 1e-12 => {
                    let out = if axis.z > 0.0 { placed.at(0.0).0 } else { placed.at(1.0).0 } - centre;
                    let from_deg = out.y.atan2(out.x).to_degrees();
                    Line::Arc { centre, radius: from, from_deg, to_deg: from_deg + angle.to_degrees() }
                }
                _ => through(placed),
            }
        }
        Curve::Oval { .. } => through(placed),
    }
}

fn through(placed: &Placed) -> Line {
    let turns = placed.curve.angle() / std::f64::consts::TAU;
    let n = (turns * PLACES_A_TURN).ceil().clamp(2.0, 40_000.0);
    #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "2 to 40 000")]
    let steps = n as u32;
    Line::Through((0..=steps).map(|i| placed.at(f64::from(i) / n).0).collect())
}

impl FormedPiece<'_> {
    /// The finished piece's centreline from end to end; a ball has none.
    pub fn lines(&self) -> Vec<Line> {
        let drawn = self.path.placed.iter().filter(|placed| placed.length_mm > 1e-9);
        drawn.map(line).collect()
    }

    /// Outlines of the finished piece from the front, closed, mm, y up: the wire's two sides and ends,
    /// and each ball.
    pub fn outlines(&self) -> Vec<Vec<(f64, f64)>> {
        let width = self.design.profile.thickness_mm();
        let style = Stroke::new(width).with_caps(Cap::Butt).with_join(Join::Round);
        let wire = stroke(centreline(&self.path), &style, &StrokeOpts::default(), FLATTENED_MM);
        let mut outlines = polygons(&wire);
        for (segment, placed) in self.design.segments.iter().zip(&self.path.placed) {
            if let Course::Ball { diameter_mm } = segment.course {
                let centre = self.design.ball_centre(placed, diameter_mm);
                let circle = kurbo::Circle::new((centre.x, -centre.y), diameter_mm / 2.0);
                outlines.extend(polygons(&kurbo::Shape::to_path(&circle, FLATTENED_MM)));
            }
        }
        outlines
    }
}

/// Closed outlines of a path drawn y down, turned y up.
fn polygons(path: &BezPath) -> Vec<Vec<(f64, f64)>> {
    let mut all: Vec<Vec<(f64, f64)>> = vec![];
    kurbo::flatten(path, FLATTENED_MM, |element| match element {
        PathEl::MoveTo(p) => all.push(vec![(p.x, -p.y)]),
        PathEl::LineTo(p) => {
            if let Some(last) = all.last_mut() {
                last.push((p.x, -p.y));
            }
        }
        _ => {}
    });
    all.retain(|outline| outline.len() > 2);
    all
}
