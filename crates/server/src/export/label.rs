//! The label for the bag: 80 × 45 mm.

use lorimant_core::length::LengthUnit;

use super::Sheetable;
use super::svg::{Page, Type, wrapped};

const WIDTH: f64 = 80.0;
const HEIGHT: f64 = 45.0;
const LEFT: f64 = 4.0;
const RIGHT: f64 = WIDTH - 4.0;

/// Draws the label as SVG, one unit a millimetre.
pub(super) fn draw(of: &Sheetable) -> String {
    let mut page = Page::new(WIDTH, HEIGHT);
    let request = &of.plan.request;
    let wire = &request.wire;
    let name = wrapped(&of.plan.name, 60.0, 5.0);
    page.text(LEFT, 8.0, Type::serif(5.0).bold(), name.first().map_or("", String::as_str));
    let count = format!("{} rings", request.rings_n);
    page.text(RIGHT, 8.0, Type::sans(4.0).bold().anchored("end"), &count);
    page.rule(LEFT, RIGHT, 10.4);
    let figure = |key: &str| of.worked.figures.iter().find(|figure| figure.key == key);
    let value = |key: &str| figure(key).map_or(String::new(), |f| format!("{} {}", f.value, f.unit));
    let rows = [
        (
            "wire",
            format!("{} {}, {} {}", wire.temper, wire.metal, wire.section, wire.size_shown(LengthUnit::Mm)),
        ),
        ("wire per ring", value("wire-per-ring")),
        ("ring inside", value("ring-inside")),
        ("rod", request.mandrel.shown()),
        ("cut", request.cutting.method.shown().to_owned()),
    ];
    let mut y = 15.6;
    for (label, text) in rows {
        page.text(LEFT, y, Type::sans(3.0).quiet(), label);
        page.text(LEFT + 20.0, y, Type::sans(3.6), &text);
        y += 5.0;
    }
    page.text(LEFT, HEIGHT - 3.6, Type::sans(2.8).quiet(), &of.date);
    page.text(RIGHT, HEIGHT - 3.6, Type::sans(2.8).quiet().anchored("end"), &of.workshop);
    page.finish(&of.plan.name)
}
