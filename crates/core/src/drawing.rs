//! Drawings: shapes in millimetres with the meaning of each, for any screen or sheet of paper.
//!
//! y points down. Whoever shows a drawing decides colours and line widths by [`Role`]; whatever has
//! a real width in millimetres carries it.

use kurbo::{BezPath, PathEl, Point, Rect, Shape as _};
use serde::Serialize;

use crate::words::words;

words! {
    /// What a shape of a drawing is.
    pub enum Role ("role") {
        /// Wire, to be shown round and in its metal.
        Wire = "wire";
        /// A ball at the wire's end.
        Ball = "ball";
        /// The rod.
        Rod = "rod";
        /// An edge of the rod, or its axis.
        RodEdge = "rod-edge";
        /// Tape on the rod.
        Tape = "tape";
        /// Where the wire lies in the other state: before or after letting go.
        Ghost = "ghost";
        /// What cutting takes.
        Kerf = "kerf";
        /// A steel ruler.
        Ruler = "ruler";
        /// A mark on the wire.
        Mark = "mark";
        /// Blank paper laid over a break in a long piece.
        Break = "break";
    }
}

/// One shape.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Outlined {
    /// What it is.
    pub role: Role,
    /// Its path as SVG path data, mm.
    pub path: String,
    /// Width of a stroke that has one in the world, mm; a filled or thinly lined shape has none.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub width_mm: Option<f64>,
    /// Whether such a stroke ends round, as round wire does seen along its cut.
    pub round_ends: bool,
}

/// A place on a drawing.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Place {
    /// To the right, mm.
    pub x_mm: f64,
    /// Downward, mm.
    pub y_mm: f64,
}

impl From<Point> for Place {
    fn from(point: Point) -> Self {
        Self { x_mm: point.x, y_mm: point.y }
    }
}

/// What a drawing covers.
#[derive(Debug, Clone, Copy, PartialEq, Default, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Frame {
    /// Left edge, mm.
    pub left_mm: f64,
    /// Top edge, mm.
    pub top_mm: f64,
    /// Width, mm.
    pub width_mm: f64,
    /// Height, mm.
    pub height_mm: f64,
}

words! {
    /// Which part of a text stands at its place.
    pub enum Anchor ("anchor") {
        /// Its start.
        Start = "start";
        /// Its middle.
        Middle = "middle";
        /// Its end.
        End = "end";
    }
}

/// Where the text of a dimension stands when that is not beside the middle of its line.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Label {
    /// Its place, mm.
    pub at: Place,
    /// Which part of the text stands there.
    pub anchor: Anchor,
}

/// A dimension: the distance between two points, drawn beside it.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Dimension {
    /// From here, mm.
    pub from: Place,
    /// To here, mm.
    pub to: Place,
    /// What it says.
    pub text: String,
    /// The figure or parameter it shows, by its key.
    pub figure: &'static str,
    /// Where it says so; beside the middle of its line if left out.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub label: Option<Label>,
}

/// A piece drawn small, as lists show it.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Thumbnail {
    /// The finished piece from the front, without its dimensions.
    pub drawing: Drawing,
    /// What is cut for it in a few words: `cut 61.5 mm, mark at 9.0, 30.8`.
    pub cut: String,
    /// Its wire in a few words: `sterling silver 0.81 mm (20 AWG)`.
    pub wire: String,
    /// Colour of the bare metal, `#rrggbb`.
    pub colour: String,
}

/// A note on the drawing, centred on its place.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Note {
    /// Its place, mm.
    pub at: Place,
    /// What it says.
    pub text: String,
}

/// A drawing in millimetres.
#[derive(Debug, Clone, PartialEq, Default, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Drawing {
    /// What everything in it covers that has a size in the world.
    pub frame: Frame,
    /// Shapes, back to front.
    pub shapes: Vec<Outlined>,
    /// Dimensions.
    pub dimensions: Vec<Dimension>,
    /// Notes.
    pub notes: Vec<Note>,
    /// What it shows, in a sentence, for those who cannot see it.
    pub described: String,
}

/// Collects the shapes of a drawing and keeps its frame.
#[derive(Clone)]
pub(crate) struct Sketch {
    frame: Option<Rect>,
    pub drawing: Drawing,
}

impl Sketch {
    pub fn new() -> Self {
        let drawing = Drawing {
            frame: Frame::default(),
            shapes: vec![],
            dimensions: vec![],
            notes: vec![],
            described: String::new(),
        };
        Self { frame: None, drawing }
    }

    fn cover(&mut self, bounds: Rect) {
        self.frame = Some(self.frame.map_or(bounds, |frame| frame.union(bounds)));
    }

    /// Covers a path with a margin; one whose control points all lie within needs no closer look.
    fn cover_path(&mut self, path: &BezPath, margin_mm: f64) {
        let around = path.control_box().inflate(margin_mm, margin_mm);
        if !self.frame.is_some_and(|frame| frame.union(around) == frame) {
            self.cover(path.bounding_box().inflate(margin_mm, margin_mm));
        }
    }

    /// A filled or thinly lined shape.
    pub fn shape(&mut self, role: Role, path: &BezPath) {
        self.cover_path(path, 0.0);
        self.push(role, path, None);
    }

    /// The same, behind everything there is so far.
    pub fn shape_behind(&mut self, role: Role, path: &BezPath) {
        self.shape(role, path);
        self.drawing.shapes.rotate_right(1);
    }

    /// A piece of wire of a given width along a path, its ends cut flat.
    pub fn wire(&mut self, role: Role, path: &BezPath, width_mm: f64) {
        self.cover_path(path, width_mm / 2.0);
        self.push(role, path, Some(width_mm));
    }

    /// The same with round ends.
    pub fn round_wire(&mut self, role: Role, path: &BezPath, width_mm: f64) {
        self.wire(role, path, width_mm);
        if let Some(last) = self.drawing.shapes.last_mut() {
            last.round_ends = true;
        }
    }

    fn push(&mut self, role: Role, path: &BezPath, width_mm: Option<f64>) {
        self.drawing.shapes.push(Outlined { role, path: svg_path(path), width_mm, round_ends: false });
    }

    pub fn dimension(&mut self, from: Point, to: Point, text: String, figure: &'static str) {
        self.cover(Rect::from_points(from, to));
        self.drawing.dimensions.push(Dimension {
            from: from.into(),
            to: to.into(),
            text,
            figure,
            label: None,
        });
    }

    /// A dimension whose text has a place of its own.
    pub fn labelled(
        &mut self,
        (from, to): (Point, Point),
        text: String,
        figure: &'static str,
        label: (Point, Anchor),
    ) {
        self.dimension(from, to, text, figure);
        let (at, anchor) = label;
        self.cover(Rect::from_points(at, at));
        if let Some(last) = self.drawing.dimensions.last_mut() {
            last.label = Some(Label { at: at.into(), anchor });
        }
    }

    pub fn note(&mut self, at: Point, text: String) {
        self.drawing.notes.push(Note { at: at.into(), text });
    }

    pub fn finish(mut self, described: String) -> Drawing {
        let frame = self.frame.unwrap_or(Rect::ZERO);
        self.drawing.frame =
            Frame { left_mm: frame.x0, top_mm: frame.y0, width_mm: frame.width(), height_mm: frame.height() };
        self.drawing.described = described;
        self.drawing
    }
}

/// SVG path data to a thousandth of a millimetre, written in whole thousandths: most of a sheet's time would otherwise
/// go into decimals that nobody sees.
///
/// ```
/// use kurbo::BezPath;
/// use lorimant_core::drawing::svg_path;
///
/// let path = BezPath::from_svg("M0,-0.0004 L-0.05,12.3456 C1,2 7.1,0.007 -120,5 Z").unwrap();
/// assert_eq!(svg_path(&path), "M0,0 L-0.05,12.346 C1,2 7.1,0.007 -120,5 Z");
/// ```
#[must_use]
pub fn svg_path(path: &BezPath) -> String {
    let mut text = String::with_capacity(path.elements().len() * 24);
    for element in path.elements() {
        let (sign, points): (char, &[Point]) = match element {
            PathEl::MoveTo(p) => ('M', &[*p]),
            PathEl::LineTo(p) => ('L', &[*p]),
            PathEl::QuadTo(a, p) => ('Q', &[*a, *p]),
            PathEl::CurveTo(a, b, p) => ('C', &[*a, *b, *p]),
            PathEl::ClosePath => ('Z', &[]),
        };
        if !text.is_empty() {
            text.push(' ');
        }
        text.push(sign);
        for (i, point) in points.iter().enumerate() {
            if i > 0 {
                text.push(' ');
            }
            thousandths(point.x, &mut text);
            text.push(',');
            thousandths(point.y, &mut text);
        }
    }
    text
}

/// Writes a number to three decimals, without noughts behind it.
fn thousandths(value: f64, text: &mut String) {
    #[expect(clippy::cast_possible_truncation, reason = "a drawing's millimetres; saturates beyond")]
    let whole = (value * 1e3).round() as i64;
    if whole < 0 {
        text.push('-');
    }
    let mut digits = itoa::Buffer::new();
    text.push_str(digits.format(whole.unsigned_abs() / 1000));
    // A thousand more, so that there are always three behind its first.
    let behind = digits.format(1000 + whole.unsigned_abs() % 1000)[1..].trim_end_matches('0');
    if !behind.is_empty() {
        text.push('.');
        text.push_str(behind);
    }
}
