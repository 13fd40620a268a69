//! A cut plan on paper: each lot a strip to scale with what is cut from it, and as a table.

use std::collections::BTreeMap;

use lorimant_core::fault::Faults;
use lorimant_core::rack::cut_plan::{CutPlan, StockCut};
use lorimant_core::wire::Wire;
use lorimant_core::words::length::LengthUnit;
use lorimant_core::words::scale::of_wire;
use serde::Deserialize;
use utoipa::ToSchema;

use super::svg::{Page, Type, lightened, shaded};
use super::{pdf, plain};
use crate::kept::Settings;
use crate::progress::Progress;
use lorimant_text::text;

const WIDTH: f64 = 210.0;
const HEIGHT: f64 = 297.0;
const LEFT: f64 = 16.0;
const RIGHT: f64 = WIDTH - 16.0;
const FOOT: f64 = 282.0;
/// A box to tick, and the strip beside it, mm.
const TICK: f64 = 4.0;
const STRIP_LEFT: f64 = LEFT + 8.0;

/// A cut plan to be put on paper.
#[derive(Debug, Clone, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct PlanSheet {
    /// The wire.
    pub wire: Wire,
    /// The plan.
    pub plan: CutPlan,
    /// Names of the lots, by the ids the plan uses.
    #[serde(default)]
    pub names: BTreeMap<String, String>,
}

impl PlanSheet {
    pub fn check(&self) -> Result<(), Faults> {
        self.wire.check().map_err(|fault| fault.within("wire"))?;
        self.plan.check().map_err(|faults| faults.within("plan"))
    }

    fn name<'a>(&'a self, cut: &'a StockCut) -> &'a str {
        self.names.get(&cut.stock).unwrap_or(&cut.stock)
    }
}

/// The plan as PDF, as many pages as it takes.
pub(crate) fn pdf(sheet: &PlanSheet, settings: &Settings, progress: &Progress) -> anyhow::Result<Vec<u8>> {
    let pages = pages(sheet, settings);
    progress.takes(pages.len() as u64);
    pdf::from_pages(&pages, progress)
}

fn pages(sheet: &PlanSheet, settings: &Settings) -> Vec<String> {
    let title = text!("paper-cut-plan-cutting-plan", wire = sheet.wire.shown(settings.unit));
    let longest = sheet.plan.stock.iter().map(|cut| cut.length_mm).fold(1.0, f64::max);
    let mut pages = vec![];
    let mut page = Page::new(WIDTH, HEIGHT);
    let mut y = head(&mut page, sheet, settings, &title);
    for cut in &sheet.plan.stock {
        if y > FOOT - 24.0 {
            pages.push(foot(page, pages.len() + 1, &title));
            page = Page::new(WIDTH, HEIGHT);
            y = 22.0;
        }
        y = strip(&mut page, sheet, cut, (longest, settings.unit), y);
    }
    pages.push(foot(page, pages.len() + 1, &title));
    pages
}

fn head(page: &mut Page, sheet: &PlanSheet, settings: &Settings, title: &str) -> f64 {
    page.text(LEFT, 22.0, Type::serif(7.0).bold(), title);
    page.text(RIGHT, 16.0, Type::sans(3.2).quiet().anchored("end"), &settings.workshop_name);
    let date = jiff::ZonedDateTime::now().date().to_string();
    page.text(RIGHT, 21.0, Type::sans(3.2).quiet().anchored("end"), &date);
    page.rule(LEFT, RIGHT, 25.0);
    let mut y = page.paragraph(LEFT, 32.0, Type::serif(4.6), RIGHT - LEFT, &sheet.plan.text);
    for short in &sheet.plan.short {
        let message = text!(
            "paper-cut-plan-short-wire",
            n = short.n,
            demand = short.demand,
            length_mm = of_wire(short.length_mm, settings.unit)
        );
        y = page.paragraph(LEFT, y + 0.5, Type::sans(3.6).bold(), RIGHT - LEFT, &message);
    }
    page.paragraph(LEFT, y + 0.5, Type::sans(3.2).quiet(), RIGHT - LEFT, &sheet.plan.caution) + 4.0
}

/// One lot: a box to tick, its name, a strip to scale, what to do.
fn strip(
    page: &mut Page,
    sheet: &PlanSheet,
    cut: &StockCut,
    (longest, unit): (f64, LengthUnit),
    y: f64,
) -> f64 {
    let colour = sheet.wire.metal.figures().colour;
    let scale = (RIGHT - STRIP_LEFT) / longest;
    page.frame((LEFT, y), (TICK, TICK));
    let title = format!("{} · {}", sheet.name(cut), of_wire(cut.length_mm, unit));
    page.text(STRIP_LEFT, y + 3.2, Type::sans(3.8).bold(), &title);
    let top = y + 5.4;
    let mut x = STRIP_LEFT;
    for (i, group) in cut.cuts.iter().enumerate() {
        let width = f64::from(group.n) * group.length_mm * scale;
        page.rect("cut", (x, top), (width, 3.6), &shaded(colour, if i % 2 == 0 { 0.95 } else { 0.78 }));
        // A line between blanks only where they are wide enough to tell apart.
        if group.length_mm * scale > 1.0 {
            for n in 1..group.n {
                let at = x + f64::from(n) * group.length_mm * scale;
                page.line((at, top), (at, top + 3.6), "#ffffff", 0.15);
            }
        }
        x += width;
    }
    let (left, lost) = (cut.offcut_mm * scale, cut.scrap_mm * scale);
    if left > 0.0 {
        page.rect("rest", (x, top), (left, 3.6), &lightened(colour, 0.65));
    }
    if lost > 0.0 {
        page.rect("scrap", (x + left, top), (lost, 3.6), "#9e3527");
    }
    page.paragraph(STRIP_LEFT, top + 8.0, Type::sans(3.4), RIGHT - STRIP_LEFT, &cut.text) + 3.0
}

fn foot(mut page: Page, number: usize, title: &str) -> String {
    let foot = text!("paper-cut-plan-lorimant-cutting-plan-page-strips", number);
    page.text(LEFT, 291.0, Type::sans(2.8).quiet(), &foot);
    page.finish(title)
}

/// The plan as a table: one line a cut.
pub(crate) fn csv(sheet: &PlanSheet) -> anyhow::Result<Vec<u8>> {
    let mut table = csv::Writer::from_writer(vec![]);
    table.write_record(["lot", "kind", "wire", "what", "length_mm", "n", "left_mm", "scrap_mm"])?;
    let wire = sheet.wire.shown(LengthUnit::Mm);
    for cut in &sheet.plan.stock {
        for group in &cut.cuts {
            table.write_record([
                plain(sheet.name(cut)),
                cut.kind.word().to_owned(),
                wire.clone(),
                plain(&group.demand),
                format!("{:.3}", group.length_mm),
                group.n.to_string(),
                format!("{:.3}", cut.offcut_mm),
                format!("{:.3}", cut.scrap_mm),
            ])?;
        }
    }
    for short in &sheet.plan.short {
        let each = short.length_mm / f64::from(short.n.max(1));
        table.write_record([
            "",
            "short",
            &wire,
            &plain(&short.demand),
            &format!("{each:.3}"),
            &short.n.to_string(),
            "",
            "",
        ])?;
    }
    table.into_inner().map_err(|error| anyhow::anyhow!("{error}"))
}
