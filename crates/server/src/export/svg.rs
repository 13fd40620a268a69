//! SVG in millimetres: one user unit is one millimetre on paper.

use std::fmt::Write as _;

use lorimant_core::drawing::{Anchor, Dimension, Drawing, Place, Role};

use super::typeset::wrapped;

pub(super) const INK: &str = "#22262b";
pub(super) const QUIET: &str = "#5c626a";
const HAIRLINE: &str = "#b5afa2";
const STOP: &str = "#9e3527";

/// How a text is set.
#[derive(Clone, Copy)]
pub(super) struct Type {
    pub family: &'static str,
    pub weight: u32,
    /// Size in mm.
    pub size: f64,
    pub anchor: &'static str,
    pub fill: &'static str,
}

pub(super) const SERIF: &str = "Alegreya";
pub(super) const SANS: &str = "Alegreya Sans";

impl Type {
    pub const fn sans(size: f64) -> Self {
        Self { family: SANS, weight: 400, size, anchor: "start", fill: INK }
    }

    pub const fn serif(size: f64) -> Self {
        Self { family: SERIF, ..Self::sans(size) }
    }

    pub const fn bold(self) -> Self {
        Self { weight: 700, ..self }
    }

    pub const fn quiet(self) -> Self {
        Self { fill: QUIET, ..self }
    }

    pub const fn anchored(self, anchor: &'static str) -> Self {
        Self { anchor, ..self }
    }
}

/// From line to line, in sizes of the type.
pub(super) const LEADING: f64 = 1.32;

/// A page being drawn.
pub(super) struct Page {
    body: String,
    width: f64,
    height: f64,
}

impl Page {
    pub fn new(width: f64, height: f64) -> Self {
        Self { body: String::new(), width, height }
    }

    fn put(&mut self, markup: std::fmt::Arguments) {
        // Writing to a string cannot fail.
        let _ = self.body.write_fmt(markup);
        self.body.push('\n');
    }

    pub fn text(&mut self, x: f64, y: f64, set: Type, text: &str) {
        let Type { family, weight, size, anchor, fill } = set;
        let text = escaped(text);
        self.put(format_args!(
            r#"<text x="{x:.3}" y="{y:.3}" font-family="'{family}', sans-serif" font-weight="{weight}" font-size="{size}" text-anchor="{anchor}" fill="{fill}">{text}</text>"#
        ));
    }

    /// A text of several lines; gives the y of the line after the last.
    pub fn paragraph(&mut self, x: f64, y: f64, set: Type, width: f64, text: &str) -> f64 {
        self.lines(x, y, set, &wrapped(set, text, width))
    }

    /// Lines below each other; gives the y of the line after the last.
    pub fn lines(&mut self, x: f64, y: f64, set: Type, lines: &[String]) -> f64 {
        let mut line_y = y;
        for line in lines {
            self.text(x, line_y, set, line);
            line_y += set.size * LEADING;
        }
        line_y
    }

    pub fn line(&mut self, from: (f64, f64), to: (f64, f64), stroke: &str, width: f64) {
        self.put(format_args!(
            r#"<line x1="{:.4}" y1="{:.4}" x2="{:.4}" y2="{:.4}" stroke="{stroke}" stroke-width="{width}"/>"#,
            from.0, from.1, to.0, to.1
        ));
    }

    pub fn rule(&mut self, x0: f64, x1: f64, y: f64) {
        self.line((x0, y), (x1, y), HAIRLINE, 0.2);
    }

    /// A bar of a known length with its ends marked; `id` lets a test find it.
    pub fn check_bar(&mut self, id: &str, x: f64, y: f64, length: f64, says: &str) {
        self.put(format_args!(
            r#"<rect id="{id}" x="{x:.4}" y="{y:.4}" width="{length:.4}" height="1.2" fill="{INK}"/>"#
        ));
        self.text(x, y + 5.0, Type::sans(3.0).quiet(), says);
    }

    pub fn rect(&mut self, id: &str, at: (f64, f64), size: (f64, f64), fill: &str) {
        let ((x, y), (w, h)) = (at, size);
        self.put(format_args!(
            r#"<rect id="{id}" x="{x:.4}" y="{y:.4}" width="{w:.4}" height="{h:.4}" fill="{fill}"/>"#
        ));
    }

    /// A filled outline; `id` lets a test find it.
    pub fn filled(&mut self, id: &str, path: &str, fill: &str) {
        self.put(format_args!(r#"<path id="{id}" d="{path}" fill="{fill}"/>"#));
    }

    /// An empty box.
    pub fn frame(&mut self, at: (f64, f64), size: (f64, f64)) {
        let ((x, y), (w, h)) = (at, size);
        self.put(format_args!(
            r#"<rect x="{x:.4}" y="{y:.4}" width="{w:.4}" height="{h:.4}" fill="none" stroke="{INK}" stroke-width="0.3"/>"#
        ));
    }

    /// A drawing with its frame's top left corner at a place, at so much of its true size.
    pub fn drawing(&mut self, at: (f64, f64), scale: f64, drawing: &Drawing, colour: &str) {
        let frame = drawing.frame;
        let shift = (at.0 - frame.left_mm * scale, at.1 - frame.top_mm * scale);
        self.put(format_args!(
            r#"<g transform="translate({:.4} {:.4}) scale({scale:.6})" fill="none">"#,
            shift.0, shift.1
        ));
        for shape in &drawing.shapes {
            let cap = if shape.round_ends { "round" } else { "butt" };
            for (attributes, width) in strokes(shape.role, shape.width_mm, colour, scale) {
                self.put(format_args!(
                    r#"<path d="{}" {attributes} stroke-width="{width:.4}" stroke-linecap="{cap}"/>"#,
                    shape.path
                ));
            }
        }
        self.put(format_args!("</g>"));
    }

    /// A drawing with its dimensions and notes.
    pub fn dimensioned(&mut self, at: (f64, f64), scale: f64, drawing: &Drawing, colour: &str) {
        self.drawing(at, scale, drawing, colour);
        let frame = drawing.frame;
        let shift = (at.0 - frame.left_mm * scale, at.1 - frame.top_mm * scale);
        for dimension in &drawing.dimensions {
            self.dimension(dimension, shift, scale);
        }
        for note in &drawing.notes {
            let (x, y) = (note.at.x_mm * scale + shift.0, note.at.y_mm * scale + shift.1 + 4.0);
            self.text(x, y, Type::sans(2.8).quiet().anchored("middle"), &note.text);
        }
    }

    fn dimension(&mut self, dimension: &Dimension, shift: (f64, f64), scale: f64) {
        let place = |p: Place| (p.x_mm * scale + shift.0, p.y_mm * scale + shift.1);
        let (from, to) = (place(dimension.from), place(dimension.to));
        let (dx, dy) = (to.0 - from.0, to.1 - from.1);
        let length = dx.hypot(dy).max(1e-9);
        let across = (-dy / length * 0.9, dx / length * 0.9);
        self.line(from, to, INK, 0.15);
        for end in [from, to] {
            let ends = ((end.0 - across.0, end.1 - across.1), (end.0 + across.0, end.1 + across.1));
            self.line(ends.0, ends.1, INK, 0.15);
        }
        let set = Type::sans(2.8);
        if let Some(label) = dimension.label {
            let at = place(label.at);
            let gap = match label.anchor {
                Anchor::Start => 1.2,
                Anchor::Middle => 0.0,
                Anchor::End => -1.2,
            };
            let near = if (at.0 - from.0).abs() < (at.0 - to.0).abs() { from } else { to };
            if label.anchor != Anchor::Middle
                && dy.abs() < 1e-6
                && (at.0 - near.0).abs() > 0.5
                && length > 1e-6
            {
                self.line(near, at, INK, 0.12);
            }
            self.text(at.0 + gap, at.1 + 1.0, set.anchored(label.anchor.word()), &dimension.text);
        } else if dy.abs() > dx.abs() {
            self.text(from.0 + 1.4, f64::midpoint(from.1, to.1) + 1.0, set, &dimension.text);
        } else {
            let middle = f64::midpoint(from.0, to.0);
            self.text(middle, from.1 - 1.0, set.anchored("middle"), &dimension.text);
        }
    }

    pub fn finish(self, title: &str) -> String {
        let Self { body, width, height } = self;
        let title = escaped(title);
        format!(
            r##"<svg xmlns="http://www.w3.org/2000/svg" width="{width}mm" height="{height}mm" viewBox="0 0 {width} {height}">
<title>{title}</title>
<rect width="{width}" height="{height}" fill="#ffffff"/>
{body}</svg>
"##
        )
    }
}

/// The strokes a shape is drawn with, back to front: wire is a dark edge, its body and a light.
fn strokes(role: Role, width: Option<f64>, colour: &str, scale: f64) -> Vec<(String, f64)> {
    let line = |mm: f64| mm / scale;
    let stroke = |colour: &str| format!(r#"stroke="{colour}""#);
    match (role, width) {
        (Role::Wire, Some(w)) => vec![
            (stroke(&shaded(colour, 0.45)), w),
            (stroke(colour), w * 0.78),
            (stroke(&lightened(colour, 0.45)), w * 0.22),
        ],
        (Role::Ball, _) => {
            vec![(format!(r#"fill="{colour}" stroke="{}""#, shaded(colour, 0.45)), line(0.15))]
        }
        (Role::Rod, _) => vec![(format!(r##"fill="#d9dcdf" stroke="{QUIET}""##), line(0.12))],
        (Role::Tape, _) => vec![(format!(r##"fill="#e6dcc0" stroke="{QUIET}""##), line(0.12))],
        (Role::RodEdge, _) => vec![(stroke(QUIET), line(0.1))],
        (Role::Ghost, _) => {
            let dash = line(1.0);
            vec![(format!(r#"stroke="{QUIET}" stroke-dasharray="{dash:.3} {dash:.3}""#), line(0.15))]
        }
        (Role::Ruler, _) => vec![(format!(r##"fill="#efece2" stroke="{QUIET}""##), line(0.12))],
        (Role::Mark, _) => vec![(stroke(INK), line(0.25))],
        (Role::Kerf, _) => vec![(stroke(STOP), line(0.15))],
        (Role::Break, _) => vec![(r##"fill="#ffffff""##.to_owned(), 0.0)],
        (_, None) => vec![(stroke(INK), line(0.15))],
    }
}

fn mixed(colour: &str, towards: f64, share: f64) -> String {
    let channel = |i: usize| -> u8 {
        let value = colour.get(i..i + 2).and_then(|hex| u8::from_str_radix(hex, 16).ok()).unwrap_or(128);
        let value = f64::from(value) * (1.0 - share) + towards * share;
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "between two bytes")]
        let value = value.round() as u8;
        value
    };
    format!("#{:02x}{:02x}{:02x}", channel(1), channel(3), channel(5))
}

/// How much of a page a paragraph takes, mm.
pub(super) fn paragraph_mm(set: Type, text: &str, width: f64) -> f64 {
    wrapped(set, text, width).iter().map(|_| set.size * LEADING).sum()
}

pub(super) fn shaded(colour: &str, keep: f64) -> String {
    mixed(colour, 0.0, 1.0 - keep)
}

pub(super) fn lightened(colour: &str, share: f64) -> String {
    mixed(colour, 255.0, share)
}

fn escaped(text: &str) -> String {
    text.chars()
        .filter(|c| !c.is_control())
        .map(|c| match c {
            '<' => "&lt;".to_owned(),
            '>' => "&gt;".to_owned(),
            '&' => "&amp;".to_owned(),
            '"' => "&quot;".to_owned(),
            c => c.to_string(),
        })
        .collect()
}
