//! The label for the bag: 80 × 45 mm, or as large as the workshop's labels are.

use qrcode::{EcLevel, QrCode};

use super::Sheetable;
use super::svg::{INK, LEADING, Page, Type};
use super::typeset::{fitted, width_mm, wrapped};
use lorimant_text::text;

/// What a label is drawn for: others are drawn as much larger or smaller.
const WIDTH: f64 = 80.0;
const HEIGHT: f64 = 45.0;
/// From its edges.
const MARGIN: f64 = 4.0;
/// Room for the titles of the rows.
const TITLES: f64 = 17.0;
/// Sizes of type for the rows, the largest first.
const SIZES: [f64; 8] = [3.6, 3.4, 3.2, 3.0, 2.7, 2.4, 2.1, 1.8];
/// Side of the code on a label of the usual size, mm.
const CODE: f64 = 21.0;
/// Smallest side of a square of the code that telephones read, mm.
const LEAST_MODULE: f64 = 0.4;

/// What stands on a label.
pub(super) struct Label<'a> {
    pub name: &'a str,
    pub count: String,
    /// Six rows at most; those without a text are left out.
    pub rows: Vec<(&'static str, String)>,
    pub date: &'a str,
    pub workshop: &'a str,
    /// Address of the recipe, as a code to be read by a telephone.
    pub code: Option<&'a str>,
}

/// Draws a label as SVG, one unit a millimetre.
pub(super) fn of(label: &Label) -> String {
    sized(label, (WIDTH, HEIGHT))
}

/// The same at another size, mm.
pub(super) fn sized(label: &Label, size: (f64, f64)) -> String {
    let mut page = Page::new(size.0, size.1);
    lay(&mut page, (0.0, 0.0), label, size);
    page.finish(label.name)
}

/// Lays a label on a page: texts shrink, then take a second line, before they pass its edge.
pub(super) fn lay(page: &mut Page, (x, top): (f64, f64), label: &Label, (width, height): (f64, f64)) {
    // Type and margins go with the label; a label much wider than high is no larger for it.
    let k = (width / WIDTH).min(height / HEIGHT);
    let (left, right) = (x + MARGIN * k, x + width - MARGIN * k);
    let foot_y = top + height - 3.6 * k;
    let count = Type::sans(4.0 * k).bold().anchored("end");
    page.text(right, top + 8.0 * k, count, &label.count);
    let beside = right - left - width_mm(count, &label.count) - 3.0 * k;
    let (set, name) = match fitted(Type::serif(5.0 * k), label.name, beside, 1, 3.8 * k) {
        one if one.1.len() <= 1 => one,
        // A long name has two lines, in a smaller type.
        _ => fitted(Type::serif(3.3 * k), label.name, beside, 2, 2.0 * k),
    };
    page.lines(left, top + if name.len() > 1 { 4.4 } else { 8.0 } * k, set, &name);
    page.rule(left, right, top + 10.4 * k);
    let code_mm = label.code.and_then(|code| {
        // Quiet around it, it ends where the foot's line does; no larger than a telephone needs.
        let side = (foot_y - top - 12.4 * k).min(CODE * k);
        draw_code(page, (right - side, top + 12.4 * k), side, code)
    });
    let end = right - code_mm.map_or(0.0, |side| side + 2.0 * k);
    let rows: Vec<_> = label.rows.iter().filter(|(_, text)| !text.is_empty()).collect();
    let told = |size: f64| -> Vec<Vec<String>> {
        rows.iter().map(|(_, text)| wrapped(Type::sans(size), text, end - left - TITLES * k)).collect()
    };
    // The largest type in which all rows stand above the foot.
    let room = height - (3.6 + 4.0 + 15.0) * k;
    let takes = |size: f64| told(size).iter().map(|lines| row_height(lines.len(), size)).sum::<f64>();
    let sizes = SIZES.map(|size| size * k);
    let size = sizes.into_iter().find(|size| takes(*size) <= room).unwrap_or(sizes[sizes.len() - 1]);
    let mut y = top + 15.4 * k;
    for ((title, _), lines) in rows.iter().zip(told(size)) {
        page.text(left, y, Type::sans(size.min(3.0 * k)).quiet(), title);
        page.lines(left + TITLES * k, y, Type::sans(size), &lines);
        y += row_height(lines.len(), size);
    }
    let foot = Type::sans(2.8 * k).quiet();
    page.text(left, foot_y, foot, label.date);
    let beside = end - left - width_mm(foot, label.date) - 3.0 * k;
    let (set, workshop) = fitted(foot, label.workshop, beside, 1, 1.8 * k);
    page.text(end, foot_y, set.anchored("end"), workshop.first().map_or("", String::as_str));
}

/// Draws a code in a square; gives its side, nothing where its squares would be too small to be read.
fn draw_code(page: &mut Page, (x, y): (f64, f64), side: f64, text: &str) -> Option<f64> {
    let code = QrCode::with_error_correction_level(text, EcLevel::M).ok()?;
    let across = u32::try_from(code.width()).ok()?;
    let module = side / f64::from(across);
    if module < LEAST_MODULE {
        return None;
    }
    let squares = code.to_colors();
    let dark = squares.iter().zip(0_u32..).filter(|(square, _)| **square == qrcode::Color::Dark);
    let path: String = dark
        .map(|(_, i)| {
            let (column, row) = (f64::from(i % across), f64::from(i / across));
            format!(
                "M{:.3} {:.3}h{module:.3}v{module:.3}h-{module:.3}z",
                x + column * module,
                y + row * module
            )
        })
        .collect();
    page.filled("code", &path, INK);
    Some(side)
}

/// Height of a row of so many lines, mm: rows stand further apart than lines.
fn row_height(lines: usize, size: f64) -> f64 {
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
        count: text!("paper-label-rings", rings_n = request.rings_n),
        rows: vec![
            ("wire", request.wire.shown(unit)),
            (text!("paper-label-wire-per-ring"), value("wire-per-ring")),
            (text!("paper-label-ring-inside"), value("ring-inside")),
            ("rod", request.mandrel.shown_in(unit)),
            ("cut", request.cutting.method.shown().to_owned()),
        ],
        date: &of_plan.date,
        workshop: &of_plan.workshop,
        code: None,
    })
}
