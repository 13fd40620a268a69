//! A finding as DXF, the R12 text form that every drawing program reads: millimetres, centreline and
//! outline on layers of their own.

use std::fmt::Write as _;

use lorimant_core::pattern::cad::Line;
use lorimant_core::pattern::form::FormedPiece;

/// A DXF file being written: pairs of a group code and a value, each on its own line.
struct Groups(String);

impl Groups {
    fn text(&mut self, code: u16, value: &str) {
        // Writing to a string cannot fail.
        let _ = write!(self.0, "{code:>3}\r\n{value}\r\n");
    }

    fn number(&mut self, code: u16, value: f64) {
        let _ = write!(self.0, "{code:>3}\r\n{value:.9}\r\n");
    }

    fn entity(&mut self, kind: &str, layer: &str) {
        self.text(0, kind);
        self.text(8, layer);
    }

    /// A place, from its group code on.
    fn place(&mut self, code: u16, x: f64, y: f64, z: f64) {
        self.number(code, x);
        self.number(code + 10, y);
        self.number(code + 20, z);
    }

    fn polyline(
        &mut self,
        layer: &str,
        flags: u16,
        vertex_flags: u16,
        places: impl Iterator<Item = (f64, f64, f64)>,
    ) {
        self.entity("POLYLINE", layer);
        self.text(66, "1");
        self.place(10, 0.0, 0.0, 0.0);
        self.text(70, &flags.to_string());
        for (x, y, z) in places {
            self.entity("VERTEX", layer);
            self.place(10, x, y, z);
            self.text(70, &vertex_flags.to_string());
        }
        self.entity("SEQEND", layer);
    }
}

const CENTRELINE: &str = "CENTRELINE";
const OUTLINE: &str = "OUTLINE";
/// Flags of a closed polyline, and of one in space with its vertices.
const CLOSED: u16 = 1;
const IN_SPACE: u16 = 8;
const VERTEX_IN_SPACE: u16 = 32;

/// Writes the finished piece as seen from the front.
pub(super) fn write(formed: &FormedPiece) -> String {
    let mut to = Groups(String::new());
    to.text(0, "SECTION");
    to.text(2, "HEADER");
    to.text(9, "$ACADVER");
    to.text(1, "AC1009");
    // Millimetres.
    to.text(9, "$INSUNITS");
    to.text(70, "4");
    to.text(0, "ENDSEC");
    to.text(0, "SECTION");
    to.text(2, "TABLES");
    to.text(0, "TABLE");
    to.text(2, "LAYER");
    to.text(70, "2");
    for (layer, colour) in [(CENTRELINE, "1"), (OUTLINE, "7")] {
        to.text(0, "LAYER");
        to.text(2, layer);
        to.text(70, "0");
        to.text(62, colour);
        to.text(6, "CONTINUOUS");
    }
    to.text(0, "ENDTAB");
    to.text(0, "ENDSEC");
    to.text(0, "SECTION");
    to.text(2, "ENTITIES");
    for line in formed.lines() {
        centreline(&mut to, &line);
    }
    for outline in formed.outlines() {
        to.polyline(OUTLINE, CLOSED, 0, outline.into_iter().map(|(x, y)| (x, y, 0.0)));
    }
    to.text(0, "ENDSEC");
    to.text(0, "EOF");
    to.0
}

fn centreline(to: &mut Groups, line: &Line) {
    match line {
        Line::Straight(from, end) => {
            to.entity("LINE", CENTRELINE);
            to.place(10, from.x, from.y, from.z);
            to.place(11, end.x, end.y, end.z);
        }
        Line::Arc { centre, radius, from_deg, to_deg } => {
            let whole = to_deg - from_deg > 360.0 - 1e-9;
            to.entity(if whole { "CIRCLE" } else { "ARC" }, CENTRELINE);
            to.place(10, centre.x, centre.y, centre.z);
            to.number(40, *radius);
            if !whole {
                to.number(50, from_deg.rem_euclid(360.0));
                to.number(51, to_deg.rem_euclid(360.0));
            }
        }
        Line::Through(places) => {
            to.polyline(CENTRELINE, IN_SPACE, VERTEX_IN_SPACE, places.iter().map(|p| (p.x, p.y, p.z)));
        }
    }
}
