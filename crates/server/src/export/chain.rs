//! A chain on paper and in open formats.

use anyhow::anyhow;
use lorimant_core::chain::geometry::{Laid, RingDrawn, RingRole, View};
use lorimant_core::chain::placing::{Building, Placing};
use lorimant_core::chain::sheet::{ChainSheet, ChainWorked};
use lorimant_core::chain::solid::stl;
use lorimant_core::drawing::Drawing;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::length::LengthUnit;

use super::svg::{Page, Type};
use super::{ending_of, file_stem, format_named, pdf, plain};
use crate::document::plans::PlanDocument;
use crate::kept::{Kept as _, KeptChain, Settings};
use crate::problem::Problem;
use crate::progress::Progress;
use lorimant_text::{fixed, text};

/// What a chain can be taken away as.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) enum ChainFormat {
    PlanPdf,
    Drawing,
    Solid,
    Rings,
    Placings,
    Chain,
    Weave,
}

impl ChainFormat {
    const ALL: [(&'static str, Self); 7] = [
        ("plan.pdf", Self::PlanPdf),
        ("drawing.svg", Self::Drawing),
        ("chain.stl", Self::Solid),
        ("rings.csv", Self::Rings),
        ("placings.csv", Self::Placings),
        ("chain.json", Self::Chain),
        ("weave.json", Self::Weave),
    ];

    /// The format of a file name; a sentence naming those there are for any other.
    pub fn named(file: &str) -> Result<Self, Problem> {
        format_named(&Self::ALL, file)
    }

    /// Media type.
    pub fn kind(self) -> &'static str {
        match self {
            Self::PlanPdf => "application/pdf",
            Self::Drawing => "image/svg+xml",
            Self::Solid => "model/stl",
            Self::Rings | Self::Placings => "text/csv; charset=utf-8",
            Self::Chain | Self::Weave => "application/json",
        }
    }

    fn ending(self) -> &'static str {
        ending_of(&Self::ALL, &self)
    }
}

/// A chain worked out and dated, ready to be taken away.
pub(crate) struct Chain {
    kept: KeptChain,
    sheet: ChainSheet,
    worked: ChainWorked,
    /// Drawings from the front, from above, along it.
    views: [Drawing; 3],
    placings: Vec<Placing>,
    /// In how many rows their order comes again.
    period: u32,
    workshop: String,
    unit: LengthUnit,
    date: String,
}

/// Rows drawn on paper at true size.
const ROWS: u32 = 6;
impl Chain {
    /// Works a chain out; refused as keeping it would be.
    pub fn new(mut kept: KeptChain, settings: &Settings, workshop: &Workshop) -> Result<Self, Problem> {
        kept.check()?;
        kept.request = kept.request.known(workshop);
        let request = &kept.request;
        let sheet = request.sheet(workshop);
        let worked = sheet.result.clone();
        let worked =
            worked.ok_or_else(|| Problem::internal(text!("paper-export-chain-this-chain-could-not-be")))?;
        let laid = request.laid()?;
        let (rows, across) = (worked.plan.cells_n.min(ROWS), worked.plan.across_n.min(ROWS));
        let views = [View::Front, View::Side, View::Along].map(|view| {
            laid.drawing(
                rows,
                across,
                view,
                text!("paper-export-chain-seen", name = kept.name, view = view.shown()),
            )
        });
        let building = Building::of(laid.weave, worked.plan.cells_n, worked.plan.across_n)?;
        let wire_mm = request.ring.wire.size_mm;
        let placings =
            (0..building.open_n()).map_while(|n| building.placing(n, wire_mm, settings.unit)).collect();
        let date = jiff::ZonedDateTime::now().date().to_string();
        let workshop = settings.workshop_name.clone();
        let period = building.period();
        Ok(Self { sheet, worked, views, placings, period, workshop, unit: settings.unit, date, kept })
    }

    /// A file name from the chain's name.
    pub fn file_name(&self, format: ChainFormat) -> String {
        format!("{}.{}", file_stem(&self.kept.name, "chain"), format.ending())
    }

    fn rings(&self) -> anyhow::Result<Vec<RingDrawn>> {
        let laid: Laid = self.kept.request.laid().map_err(|faults| anyhow!("{faults}"))?;
        Ok(laid.rows(self.worked.plan.cells_n.min(MOST_SOLID), self.worked.plan.across_n.min(MOST_SOLID)))
    }
}

/// Most cells written as solid rings: a file of some ten thousand triangles a ring grows large.
const MOST_SOLID: u32 = 24;

/// Makes the file.
pub(crate) fn make(of: &Chain, format: ChainFormat, progress: &Progress) -> anyhow::Result<Vec<u8>> {
    Ok(match format {
        ChainFormat::PlanPdf => {
            let pages = pages(of);
            progress.takes(pages.len() as u64);
            pdf::from_pages(&pages, progress)?
        }
        ChainFormat::Drawing => drawing(of).into_bytes(),
        ChainFormat::Solid => stl(&of.rings()?),
        ChainFormat::Rings => rings(of)?.into_bytes(),
        ChainFormat::Placings => placings(of)?.into_bytes(),
        ChainFormat::Chain => serde_json::to_vec_pretty(&PlanDocument {
            chains: vec![of.kept.clone()],
            ..PlanDocument::of(vec![], vec![])
        })?,
        ChainFormat::Weave => {
            let weave = of.kept.request.design().map_err(|faults| anyhow!("{faults}"))?.clone();
            let document = PlanDocument { weaves: vec![weave], ..PlanDocument::of(vec![], vec![]) };
            serde_json::to_vec_pretty(&document)?
        }
    })
}

const WIDTH: f64 = 210.0;
const HEIGHT: f64 = 297.0;
const LEFT: f64 = 16.0;
const RIGHT: f64 = WIDTH - 16.0;
const FOOT: f64 = HEIGHT - 18.0;

/// The three views below each other, in mm as they are.
fn drawing(of: &Chain) -> String {
    let wide = of.views.iter().map(|view| view.frame.width_mm).fold(0.0, f64::max) + 10.0;
    let high: f64 = of.views.iter().map(|view| view.frame.height_mm + 8.0).sum();
    let mut page = Page::new(wide, high);
    let mut y = 4.0;
    for view in &of.views {
        put(&mut page, view, (5.0, y), 1.0, colour(of));
        y += view.frame.height_mm + 8.0;
    }
    page.finish(&of.kept.name)
}

fn colour(of: &Chain) -> &str {
    of.worked.parts.first().map_or("#b87333", |part| part.colour.as_str())
}

/// A drawing with the top left of its frame at a place.
fn put(page: &mut Page, drawing: &Drawing, at: (f64, f64), scale: f64, colour: &str) {
    page.drawing(at, scale, drawing, colour);
}

/// The plan, and the placing steps until the pattern repeats.
fn pages(of: &Chain) -> Vec<String> {
    let title = of.kept.name.clone();
    let begun = || {
        let mut page = Page::new(WIDTH, HEIGHT);
        page.text(LEFT, 20.0, Type::serif(7.0).bold(), &title);
        page.text(RIGHT, 20.0, Type::sans(3.2).quiet().anchored("end"), &of.workshop);
        page.rule(LEFT, RIGHT, 24.0);
        page.text(
            LEFT,
            HEIGHT - 8.0,
            Type::sans(2.8).quiet(),
            &text!("paper-export-chain-loads-minutes-estimates-wear-glasses", date = of.date),
        );
        page
    };
    let mut pages = vec![];
    let mut page = begun();
    let mut y = page.paragraph(LEFT, 31.0, Type::serif(4.6), RIGHT - LEFT, &of.sheet.text) + 3.0;
    let plan = &of.worked.plan;
    let wide = of.views[0].frame.width_mm.min(RIGHT - LEFT);
    let scale = (wide / of.views[0].frame.width_mm).min(1.0);
    for (view, says) in of.views.iter().zip([
        text!("paper-export-chain-from-front"),
        text!("paper-export-chain-from-above"),
        text!("paper-export-chain-along"),
    ]) {
        let size = if scale < 1.0 {
            text!("paper-export-chain-true-size", says, scale = fixed(scale, 2))
        } else {
            text!("paper-export-chain-true-size-2", says)
        };
        page.text(LEFT, y + 3.0, Type::sans(3.0).quiet(), &size);
        put(&mut page, view, (LEFT, y + 6.0), scale, colour(of));
        y += view.frame.height_mm * scale + 12.0;
    }
    page.check_bar("bar-mm", LEFT, y, 50.0, text!("paper-export-chain-50-mm-measure-before-you"));
    page.check_bar("bar-in", LEFT + 80.0, y, 50.8, text!("paper-export-chain-2-in"));
    y += 14.0;
    for figure in &of.worked.figures {
        let value = figure.first(of.unit);
        page.text(LEFT, y, Type::sans(3.4), &figure.label);
        page.text(LEFT + 62.0, y, Type::sans(3.6).bold().anchored("end"), value.trim());
        let more = figure.more.clone().unwrap_or_default();
        y = page.paragraph(LEFT + 66.0, y, Type::sans(3.0).quiet(), RIGHT - LEFT - 66.0, &more).max(y + 4.6);
    }
    y += 4.0;
    // What the second metal or size is, where there is one.
    for part in &of.worked.parts {
        let line =
            text!("paper-export-chain-rings", name = part.name, rings_n = part.rings_n, wire = part.wire);
        page.text(LEFT, y, Type::sans(3.2), &line);
        y += 5.0;
    }
    pages.push(std::mem::replace(&mut page, begun()).finish(&title));
    y = 32.0;
    let head = text!(
        "paper-export-chain-weaving-pre-close-rings-open",
        shut_before_n = plan.pre_closed_n,
        open_n = plan.open_n,
        cells_n = plan.cells_n
    );
    page.text(LEFT, y, Type::sans(4.2).bold(), &head);
    y += 7.0;
    // The start, and one repeat of the order.
    let rows = 2 * of.period + 1;
    let until = of.placings.iter().take_while(|placing| placing.row <= rows).count();
    for placing in &of.placings[..until] {
        if y > FOOT - 26.0 {
            pages.push(std::mem::replace(&mut page, begun()).finish(&title));
            y = 32.0;
        }
        let shown = at_placing(of, placing);
        let room = 42.0;
        let fit = (room / shown.frame.width_mm).min(24.0 / shown.frame.height_mm).min(2.0);
        put(&mut page, &shown, (LEFT, y - 3.0), fit, colour(of));
        let at = LEFT + room + 6.0;
        let n = text!(
            "paper-export-chain-row-ring",
            n = placing.n,
            row = placing.row,
            in_row = placing.ring_in_row_n,
            of_row = placing.of_row,
            ring = placing.ring
        );
        page.text(at, y, Type::sans(3.6).bold(), &n);
        let below = page.paragraph(at, y + 5.0, Type::sans(3.4), RIGHT - at, &placing.text);
        let below = page.paragraph(at, below, Type::sans(2.8).quiet(), RIGHT - at, &placing.if_wrong);
        y = below.max(y + 26.0) + 3.0;
    }
    let again = of.placings[..until].iter().find(|placing| placing.row > rows - of.period);
    if let (Some(first), true) = (again, until < of.placings.len()) {
        let rest = text!(
            "paper-export-chain-from-here-repeats-steps-again",
            n = first.n,
            until,
            period = text!("count-row", n = of.period),
            cells_n = plan.cells_n
        );
        page.paragraph(LEFT, y, Type::sans(3.6).bold(), RIGHT - LEFT, &rest);
    }
    pages.push(page.finish(&title));
    pages
}

/// What lies before the maker at a placing, flat.
fn at_placing(of: &Chain, placing: &Placing) -> Drawing {
    let request = &of.kept.request;
    let Ok(laid) = request.laid() else { return Drawing::default() };
    let plan = &of.worked.plan;
    let Ok(building) = Building::of(laid.weave, plan.cells_n, plan.across_n) else {
        return Drawing::default();
    };
    let rings = laid.at_placing(&building, placing.n - 1);
    let near = rings.iter().filter(|ring| ring.role != RingRole::There || ring.row + 2 > placing.row);
    laid.drawn_flat(&near.cloned().collect::<Vec<_>>(), View::Front, placing.text.clone())
}

/// The rings to make, part by part.
fn rings(of: &Chain) -> anyhow::Result<String> {
    let mut table = csv::Writer::from_writer(vec![]);
    table.write_record([
        "part",
        "rings_n",
        "of_them_shut_before_n",
        "to_make_n",
        "inside_mm",
        "wire_mm",
        "metal",
        "temper",
        "rod",
        "rod_mm",
        "cutting",
        "coils_n",
        "wire_length_mm",
        "wire_mass_g",
    ])?;
    let request = &of.kept.request;
    let failed = |faults: lorimant_core::fault::Faults| anyhow!("{faults}");
    let plan = &of.worked.plan;
    let first = request.rings().map_err(failed)?;
    let second = request.second_rings().map_err(failed)?;
    let seconds_n = plan.second_n();
    // Of rings all alike, those of all parts together.
    let shut_n = |i: usize| match seconds_n {
        0 => plan.pre_closed_n,
        _ => plan.parts_pre_closed_n.get(i).copied().unwrap_or(0),
    };
    let name = |i: usize| of.worked.parts.get(i).map_or_else(|| "ring".to_owned(), |part| part.name.clone());
    let all = std::iter::once((first, plan.rings_n - seconds_n)).chain(second.map(|ring| (ring, seconds_n)));
    for (i, (ring, rings_n)) in all.enumerate() {
        let planned = ring.plan().map_err(failed)?;
        let part = if seconds_n == 0 { "all".to_owned() } else { name(i) };
        table.write_record([
            plain(&part),
            rings_n.to_string(),
            shut_n(i).to_string(),
            ring.rings_n.to_string(),
            format!("{:.4}", planned.ring_inside_diameter_mm),
            format!("{:.4}", ring.wire.size_mm),
            ring.wire.metal.word().to_owned(),
            ring.wire.temper.word().to_owned(),
            plain(&ring.mandrel.shown_in(LengthUnit::Mm)),
            format!("{:.4}", ring.mandrel.diameter_mm),
            ring.cutting.method.word().to_owned(),
            planned.coils_n.to_string(),
            format!("{:.1}", planned.wire_length_mm),
            format!("{:.3}", planned.wire_mass_g),
        ])?;
    }
    Ok(String::from_utf8(table.into_inner().map_err(|error| anyhow!("{error}"))?)?)
}

/// Every placing in order.
fn placings(of: &Chain) -> anyhow::Result<String> {
    let mut table = csv::Writer::from_writer(vec![]);
    table.write_record(["n", "row", "in_row", "ring", "through", "takes_up_shut", "instruction"])?;
    for placing in &of.placings {
        table.write_record([
            placing.n.to_string(),
            placing.row.to_string(),
            placing.ring_in_row_n.to_string(),
            plain(&placing.ring),
            plain(&placing.through.join("; ")),
            plain(&placing.picks_up.join("; ")),
            plain(&placing.text),
        ])?;
    }
    Ok(String::from_utf8(table.into_inner().map_err(|error| anyhow!("{error}"))?)?)
}
