//! The label for the bag: 80 × 45 mm.

use super::Sheetable;
use super::svg::{LEADING, Page, Type};
use super::typeset::{fitted, width_mm, wrapped};

const WIDTH: f64 = 80.0;
const HEIGHT: f64 = 45.0;
const LEFT: f64 = 4.0;
const RIGHT: f64 = WIDTH - 4.0;
/// Where the foot's line stands.
const FOOT: f64 = HEIGHT - 3.6;
/// Room for the titles of the rows.
const TITLES: f64 = 20.0;
/// Sizes of type for the rows, the largest first.
const SIZES: [f64; 8] = [3.6, 3.4, 3.2, 3.0, 2.7, 2.4, 2.1, 1.8];

/// What stands on a label.
pub(super) struct Label<'a> {
    pub name: &'a str,
    pub count: String,
    /// Six rows at most; those without a text are left out.
    pub rows: Vec<(&'static str, String)>,
    pub date: &'a str,
    pub workshop: &'a str,
}

/// Draws a label as SVG, one unit a millimetre: texts shrink, then take a second line, before they pass its edge.
pub(super) fn of(label: &Label) -> String {
    let mut page = Page::new(WIDTH, HEIGHT);
    let count = Type::sans(4.0).bold().anchored("end");
    page.text(RIGHT, 8.0, count, &label.count);
    let beside = RIGHT - LEFT - width_mm(count, &label.count) - 3.0;
    let (set, name) = match fitted(Type::serif(5.0), label.name, beside, 1, 3.8) {
        one if one.1.len() <= 1 => one,
        // A long name has two lines, in a smaller type.
        _ => fitted(Type::serif(3.3), label.name, beside, 2, 2.0),
    };
    page.lines(LEFT, if name.len() > 1 { 4.4 } else { 8.0 }, set, &name);
    page.rule(LEFT, RIGHT, 10.4);
    let rows: Vec<_> = label.rows.iter().filter(|(_, text)| !text.is_empty()).collect();
    let told = |size: f64| -> Vec<Vec<String>> {
        rows.iter().map(|(_, text)| wrapped(Type::sans(size), text, RIGHT - LEFT - TITLES)).collect()
    };
    // The largest type in which all rows stand above the foot.
    let room = FOOT - 4.0 - 15.0;
    let takes = |size: f64| told(size).iter().map(|lines| height(lines.len(), size)).sum::<f64>();
    let size = SIZES.into_iter().find(|size| takes(*size) <= room).unwrap_or(SIZES[SIZES.len() - 1]);
    let mut y = 15.4;
    for ((title, _), lines) in rows.iter().zip(told(size)) {
        page.text(LEFT, y, Type::sans(size.min(3.0)).quiet(), title);
        page.lines(LEFT + TITLES, y, Type::sans(size), &lines);
        y += height(lines.len(), size);
    }
    let foot = Type::sans(2.8).quiet();
    page.text(LEFT, FOOT, foot, label.date);
    let beside = RIGHT - LEFT - width_mm(foot, label.date) - 3.0;
    let (set, workshop) = fitted(foot, label.workshop, beside, 1, 1.8);
    page.text(RIGHT, FOOT, set.anchored("end"), workshop.first().map_or("", String::as_str));
    page.finish(label.name)
}

/// Height of a row of so many lines, mm: rows stand further apart than lines.
fn height(lines: usize, size: f64) -> f64 {
    #[expect(clippy::cast_precision_loss, reason = "a few lines")]
    let lines = lines as f64;
    lines * size * LEADING + 0.1 * size
}

/// Draws the label of a ring plan.
pub(super) fn draw(of_plan: &Sheetable) -> String {
    let request = &of_plan.plan.request;
    let figure = |key: &str| of_plan.worked.figures.iter().find(|figure| figure.key == key);
    let unit = of_plan.unit;
    let value = |key: &str| figure(key).map_or_else(String::new, |figure| figure.first(unit));
    of(&Label {
        name: &of_plan.plan.name,
        count: format!("{} rings", request.rings_n),
        rows: vec![
            ("wire", request.wire.shown(unit)),
            ("wire per ring", value("wire-per-ring")),
            ("ring inside", value("ring-inside")),
            ("rod", request.mandrel.shown_in(unit)),
            ("cut", request.cutting.method.shown().to_owned()),
        ],
        date: &of_plan.date,
        workshop: &of_plan.workshop,
    })
}
