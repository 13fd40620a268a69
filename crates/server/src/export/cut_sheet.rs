//! The cut sheet: a plan on one A4 page, its drawings at true size, with bars to check the printer by.

use lorimant_core::figure::{Figure, Question};
use lorimant_core::ring::sheet::{Strip, ZoneKind};
use lorimant_core::words::length::LengthUnit;

use super::Sheetable;
use super::svg::{Page, Type, lightened, shaded};
use lorimant_text::{fixed, text};

const WIDTH: f64 = 210.0;
const HEIGHT: f64 = 297.0;
const LEFT: f64 = 16.0;
const RIGHT: f64 = WIDTH - 16.0;
const ROOM: f64 = RIGHT - LEFT;

/// Draws the sheet as SVG, one unit a millimetre.
pub(super) fn draw(of: &Sheetable) -> String {
    let mut page = Page::new(WIDTH, HEIGHT);
    page.text(LEFT, 22.0, Type::serif(8.0).bold(), &of.plan.name);
    page.text(RIGHT, 18.0, Type::sans(3.2).quiet().anchored("end"), &of.workshop);
    page.text(RIGHT, 22.5, Type::sans(3.2).quiet().anchored("end"), &of.date);
    page.rule(LEFT, RIGHT, 26.0);
    let mut y = page.paragraph(LEFT, 34.0, Type::serif(5.2), ROOM, &of.sheet.text);
    if !of.plan.note.trim().is_empty() {
        y = page.paragraph(LEFT, y + 1.0, Type::sans(3.6).quiet(), ROOM, &of.plan.note);
    }
    y = draw_stage(&mut page, of, y + 3.0);
    y = draw_strip(&mut page, &of.worked.strip, &of.worked.colour, y + 4.0);
    y = draw_figures(&mut page, &of.worked.figures, of.unit, y + 5.0);
    for caution in &of.worked.cautions {
        if y > 266.0 {
            break;
        }
        y = page.paragraph(LEFT, y + 1.0, Type::sans(3.1).quiet(), ROOM, &caution.text);
    }
    page.check_bar("check-50-mm", LEFT, 278.0, 50.0, text!("paper-cut-sheet-50-mm-measure-before-you"));
    page.check_bar("check-2-in", LEFT + 90.0, 278.0, 50.8, text!("paper-cut-sheet-2-in"));
    page.text(
        LEFT,
        291.0,
        Type::sans(2.8).quiet(),
        text!("paper-cut-sheet-lorimant-cut-sheet-strength-cracking"),
    );
    page.finish(&of.plan.name)
}

fn scale_to_fit(width: f64) -> f64 {
    if width <= ROOM { 1.0 } else { ROOM / width }
}

fn scale_text(scale: f64) -> String {
    if scale >= 1.0 {
        text!("paper-cut-sheet-true-size").to_owned()
    } else {
        text!("paper-cut-sheet-true-size-2", scale = fixed(scale * 100.0, 0))
    }
}

/// The coil and a ring: once as large as the page has room for, with dimensions, and once at true size
/// to lay the made piece on.
fn draw_stage(page: &mut Page, of: &Sheetable, y: f64) -> f64 {
    let drawing = &of.worked.wound;
    let frame = drawing.frame;
    let large = ((ROOM - 6.0) / frame.width_mm).min(62.0 / frame.height_mm);
    let title = text!("paper-cut-sheet-on-rod-one-ring-closed", large = fixed(large, 1));
    page.text(LEFT, y + 2.0, Type::sans(3.4).bold(), &title);
    page.dimensioned((LEFT, y + 9.0), large, drawing, &of.worked.colour);
    let y = y + 9.0 + frame.height_mm * large + 10.0;
    let scale = scale_to_fit(frame.width_mm).min(60.0 / frame.height_mm);
    page.text(LEFT, y, Type::sans(3.4).bold(), &text!("paper-cut-sheet-same", scale = scale_text(scale)));
    page.drawing((LEFT, y + 3.0), scale, drawing, &of.worked.colour);
    y + 3.0 + frame.height_mm * scale + 4.0
}

fn draw_strip(page: &mut Page, strip: &Strip, colour: &str, y: f64) -> f64 {
    let scale = scale_to_fit(strip.length_mm);
    page.text(
        LEFT,
        y,
        Type::sans(3.4).bold(),
        &text!("paper-cut-sheet-strip-one-ring-straight", scale = scale_text(scale)),
    );
    let top = y + 6.5;
    let thick = (strip.thickness_mm * scale).max(0.6);
    for zone in &strip.zones {
        let fill = match zone.kind {
            ZoneKind::Ring => shaded(colour, 0.95),
            ZoneKind::Next => lightened(colour, 0.6),
            ZoneKind::Kerf | ZoneKind::Sliver | ZoneKind::Filing => "#9e3527".to_owned(),
        };
        let width = (zone.to_mm - zone.from_mm) * scale;
        page.rect(zone.kind.word(), (LEFT + zone.from_mm * scale, top), (width, thick), &fill);
    }
    let words: Vec<&str> = strip.zones.iter().map(|zone| zone.text.as_str()).collect();
    page.text(LEFT, top - 1.4, Type::sans(2.9).quiet(), &words.join(" · "));
    page.text(LEFT, top + thick + 4.0, Type::sans(3.2), &strip.sum);
    top + thick + 6.0
}

fn draw_figures(page: &mut Page, figures: &[Figure], unit: LengthUnit, y: f64) -> f64 {
    let column = ROOM / 2.0 - 5.0;
    let mut lowest = y;
    for (side, questions) in [
        (0.0, [Question::InYourHand, Question::OnTheRod]),
        (ROOM / 2.0 + 5.0, [Question::OffTheSpool, Question::WillItHold]),
    ] {
        let (x, mut row) = (LEFT + side, y);
        for question in questions {
            page.text(x, row, Type::sans(3.4).bold(), question.shown());
            page.rule(x, x + column, row + 1.4);
            row += 6.0;
            for figure in figures.iter().filter(|figure| figure.question == question) {
                page.text(x, row, Type::sans(3.5), &figure.label);
                page.text(x + column, row, Type::sans(3.9).bold().anchored("end"), &figure.first(unit));
                let also: Vec<String> =
                    [figure.other(unit), figure.more.clone()].into_iter().flatten().collect();
                if !also.is_empty() {
                    row += 3.6;
                    page.text(x + column, row, Type::sans(2.8).quiet().anchored("end"), &also.join(" · "));
                }
                row += 5.0;
            }
            row += 2.0;
        }
        lowest = lowest.max(row);
    }
    lowest
}
