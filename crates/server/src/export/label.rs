//! The label for the bag: 80 × 45 mm.

use lorimant_core::words::length::LengthUnit;

use super::Sheetable;
use super::svg::{Page, Type, wrapped};

const WIDTH: f64 = 80.0;
const HEIGHT: f64 = 45.0;
const LEFT: f64 = 4.0;
const RIGHT: f64 = WIDTH - 4.0;

/// What stands on a label.
pub(super) struct Label<'a> {
    pub name: &'a str,
    pub count: String,
    /// Five rows at most; those without a text are left out.
    pub rows: Vec<(&'static str, String)>,
    pub date: &'a str,
    pub workshop: &'a str,
}

/// Draws a label as SVG, one unit a millimetre.
pub(super) fn of(label: &Label) -> String {
    let mut page = Page::new(WIDTH, HEIGHT);
    let name = wrapped(label.name, 60.0, 5.0);
    page.text(LEFT, 8.0, Type::serif(5.0).bold(), name.first().map_or("", String::as_str));
    page.text(RIGHT, 8.0, Type::sans(4.0).bold().anchored("end"), &label.count);
    page.rule(LEFT, RIGHT, 10.4);
    let mut y = 15.6;
    for (title, text) in label.rows.iter().filter(|(_, text)| !text.is_empty()) {
        page.text(LEFT, y, Type::sans(3.0).quiet(), title);
        page.text(LEFT + 20.0, y, Type::sans(3.6), text);
        y += 5.0;
    }
    page.text(LEFT, HEIGHT - 3.6, Type::sans(2.8).quiet(), label.date);
    page.text(RIGHT, HEIGHT - 3.6, Type::sans(2.8).quiet().anchored("end"), label.workshop);
    page.finish(label.name)
}

/// Draws the label of a ring plan.
pub(super) fn draw(of_plan: &Sheetable) -> String {
    let request = &of_plan.plan.request;
    let wire = &request.wire;
    let figure = |key: &str| of_plan.worked.figures.iter().find(|figure| figure.key == key);
    let value = |key: &str| figure(key).map_or(String::new(), |f| format!("{} {}", f.value, f.unit));
    of(&Label {
        name: &of_plan.plan.name,
        count: format!("{} rings", request.rings_n),
        rows: vec![
            (
                "wire",
                format!(
                    "{} {}, {} {}",
                    wire.temper,
                    wire.metal,
                    wire.section,
                    wire.size_shown(LengthUnit::Mm)
                ),
            ),
            ("wire per ring", value("wire-per-ring")),
            ("ring inside", value("ring-inside")),
            ("rod", request.mandrel.shown()),
            ("cut", request.cutting.method.shown().to_owned()),
        ],
        date: &of_plan.date,
        workshop: &of_plan.workshop,
    })
}
