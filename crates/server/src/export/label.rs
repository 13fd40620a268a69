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
/// Smallest type that is read at the bench, mm: 5 points.
const LEAST_TYPE: f64 = 5.0 * 25.4 / 72.0;
/// Side of the code on a label of the usual size, mm.
const CODE: f64 = 21.0;
/// Smallest side of a square of the code that telephones read, mm.
const LEAST_MODULE: f64 = 0.4;

/// What stands on a label.
pub(super) struct Label<'a> {
    pub name: &'a str,
    pub count: String,
    /// Eight rows at most; those without a text are left out.
    pub rows: Vec<(&'static str, String)>,
    pub date: &'a str,
    pub workshop: &'a str,
    /// What is typed into the ask line to find it: `bag 12`; empty where there is nothing to find.
    pub typed: String,
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
    let least = |size: f64| least_type(size, k);
    let count = count_type(k);
    page.text(right, top + 8.0 * k, count, &label.count);
    let (set, name) = name_of(label, k, right - left);
    page.lines(left, top + if name.len() > 1 { 4.4 } else { 8.0 } * k, set, &name);
    page.rule(left, right, top + 10.4 * k);
    // Quiet around it, the code ends where the foot's line does; no larger than a telephone needs. Where the rows could not be
    // read beside it, it gives way.
    let side = (foot_y - top - 12.4 * k).min(CODE * k);
    let beside = Rows { of: label, k, width: right - side - 2.0 * k - left };
    let code = label.code.filter(|_| beside.size(height).is_some());
    let code_mm = code.and_then(|code| draw_code(page, (right - side, top + 12.4 * k), side, code));
    let end = right - code_mm.map_or(0.0, |side| side + 2.0 * k);
    let rows = Rows { of: label, k, width: end - left };
    let size = rows.size(height).unwrap_or(LEAST_TYPE);
    let mut y = top + 15.4 * k;
    for ((title, _), lines) in rows.shown().zip(rows.lines(size)) {
        page.text(left, y, Type::sans(size.min(least(3.0))).quiet(), title);
        page.lines(left + rows.titles(), y, Type::sans(size), &lines);
        y += row_height(lines.len(), size);
    }
    let foot = Type::sans(least(2.8)).quiet();
    let dated = [label.date, &label.typed].map(str::trim).into_iter().filter(|one| !one.is_empty());
    let dated = dated.collect::<Vec<_>>().join(", ");
    page.text(left, foot_y, foot, &dated);
    let beside = end - left - width_mm(foot, &dated) - 3.0 * k;
    let (set, workshop) = fitted(foot, label.workshop, beside, 1, least(1.8));
    // A name that is too long for its place is left out, not cut.
    if let [name] = workshop.as_slice() {
        page.text(end, foot_y, set.anchored("end"), name);
    }
}

/// Type that goes with a label so much larger than usual, as long as it can be read.
fn least_type(size: f64, k: f64) -> f64 {
    (size * k).max(LEAST_TYPE)
}

fn count_type(k: f64) -> Type {
    Type::sans(least_type(4.0, k)).bold().anchored("end")
}

/// The name in the room beside the count, in its type: one line, or two where it is long.
fn name_of(label: &Label, k: f64, width: f64) -> (Type, Vec<String>) {
    let beside = width - width_mm(count_type(k), &label.count) - 3.0 * k;
    match fitted(Type::serif(least_type(5.0, k)), label.name, beside, 1, least_type(3.8, k)) {
        one if one.1.len() <= 1 => one,
        // A long name has two lines, in a smaller type.
        _ => fitted(Type::serif(least_type(3.3, k)), label.name, beside, 2, least_type(2.0, k)),
    }
}

/// The rows of a label, as wide as they have room.
struct Rows<'a> {
    of: &'a Label<'a>,
    /// How much larger than usual the label is.
    k: f64,
    /// From the edge of the titles to the end of the texts, mm.
    width: f64,
}

impl Rows<'_> {
    fn shown(&self) -> impl Iterator<Item = &(&'static str, String)> {
        self.of.rows.iter().filter(|(_, text)| !text.is_empty())
    }

    /// Room for the titles, mm: the widest of them on a label with small type.
    fn titles(&self) -> f64 {
        let least = Type::sans(LEAST_TYPE);
        self.shown().map(|(title, _)| width_mm(least, title) + 1.0).fold(TITLES * self.k, f64::max)
    }

    fn lines(&self, size: f64) -> Vec<Vec<String>> {
        let room = self.width - self.titles();
        self.shown().map(|(_, text)| wrapped(Type::sans(size), text, room)).collect()
    }

    /// The largest type in which all rows stand above the foot of a label so high, mm; none where 5 points are too large.
    fn size(&self, height: f64) -> Option<f64> {
        let room = height - (3.6 + 4.0 + 15.0) * self.k;
        let takes =
            |size: f64| self.lines(size).iter().map(|lines| row_height(lines.len(), size)).sum::<f64>();
        SIZES.map(|size| (size * self.k).max(LEAST_TYPE)).into_iter().find(|size| takes(*size) <= room)
    }
}

/// The least size of the same shape at which a label can be read without its code, mm; none where it can be at this one.
pub(super) fn least_size(label: &Label, (width, height): (f64, f64)) -> Option<(f64, f64)> {
    let readable = |grown: f64| {
        let (width, height) = (width * grown, height * grown);
        let k = (width / WIDTH).min(height / HEIGHT);
        let width = width - 2.0 * MARGIN * k;
        let rows = Rows { of: label, k, width };
        rows.size(height).is_some() && name_of(label, k, width).1.len() <= 2
    };
    if readable(1.0) {
        return None;
    }
    // In steps of a twentieth, up to ten times as large.
    let grown = (21..=200).map(|step| f64::from(step) / 20.0).find(|grown| readable(*grown));
    grown.map(|grown| ((width * grown).ceil(), (height * grown).ceil()))
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
        typed: String::new(),
        code: None,
    })
}
