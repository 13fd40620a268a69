//! Plans and findings on paper and in open formats.

pub(crate) mod bag;
pub(crate) mod calendar;
mod card;
pub(crate) mod chain;
pub(crate) mod cut_plan;
mod cut_sheet;
pub(crate) mod day_sheet;
mod dxf;
pub(crate) mod finding;
mod label;
mod pdf;
pub(crate) mod rack_read;
pub(crate) mod rack_tables;
mod svg;
pub(crate) mod table;
mod typeset;

use lorimant_core::ring::RingRequest;
use lorimant_core::ring::sheet::{Sheet, Worked};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::length::LengthUnit;
use lorimant_core::words::quoted;

use crate::document::plans::PlanDocument;
use crate::kept::{Kept as _, KeptPlan, Settings};
use crate::problem::Problem;
use lorimant_text::text;

/// What a plan can be taken away as.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) enum Format {
    CutSheetPdf,
    CutSheetSvg,
    LabelPdf,
    Csv,
    Json,
}

impl Format {
    pub fn named(file: &str) -> Option<Self> {
        Some(match file {
            "cut-sheet.pdf" => Self::CutSheetPdf,
            "cut-sheet.svg" => Self::CutSheetSvg,
            "label.pdf" => Self::LabelPdf,
            "plan.csv" => Self::Csv,
            "plan.json" => Self::Json,
            _ => return None,
        })
    }

    /// Media type.
    pub fn kind(self) -> &'static str {
        match self {
            Self::CutSheetPdf | Self::LabelPdf => "application/pdf",
            Self::CutSheetSvg => "image/svg+xml",
            Self::Csv => "text/csv; charset=utf-8",
            Self::Json => "application/json",
        }
    }

    fn ending(self) -> &'static str {
        match self {
            Self::CutSheetPdf => "cut-sheet.pdf",
            Self::CutSheetSvg => "cut-sheet.svg",
            Self::LabelPdf => "label.pdf",
            Self::Csv => "csv",
            Self::Json => "json",
        }
    }
}

/// A plan worked out and dated, ready to be put on a sheet.
pub(crate) struct Sheetable {
    pub plan: KeptPlan,
    pub sheet: Sheet,
    pub worked: Worked,
    pub workshop: String,
    /// The unit the workshop reads first.
    pub unit: LengthUnit,
    pub date: String,
}

impl Sheetable {
    /// Works a plan out for paper; refused as keeping it would be.
    pub fn new(mut plan: KeptPlan, settings: &Settings, workshop: &Workshop) -> Result<Self, Problem> {
        plan.check()?;
        plan.request = plan.request.known(workshop);
        let request: &RingRequest = &plan.request;
        let sheet = request.sheet(workshop);
        let worked = sheet
            .result
            .clone()
            .ok_or_else(|| Problem::internal(text!("paper-export-this-plan-could-not-be")))?;
        let date = jiff::ZonedDateTime::now().date().to_string();
        Ok(Self { plan, sheet, worked, workshop: settings.workshop_name.clone(), unit: settings.unit, date })
    }

    /// A file name from the plan's name.
    pub fn file_name(&self, format: Format) -> String {
        format!("{}.{}", file_stem(&self.plan.name, "rings"), format.ending())
    }
}

/// The format of a file name among those there are; a sentence naming them for any other.
fn format_named<F: Copy>(all: &[(&'static str, F)], file: &str) -> Result<F, Problem> {
    all.iter().find(|(name, _)| *name == file).map(|(_, format)| *format).ok_or_else(|| {
        let known: Vec<&str> = all.iter().map(|(name, _)| *name).collect();
        Problem::missing(text!(
            "paper-export-there-no-file-called-there",
            file = quoted(file),
            known = known.join(", ")
        ))
    })
}

/// What a file of a format is called by itself.
fn ending_of<F: PartialEq>(all: &[(&'static str, F)], format: &F) -> &'static str {
    all.iter().find(|(_, one)| one == format).map_or("", |(name, _)| *name)
}

/// A name in letters every system takes for a file.
fn file_stem(name: &str, otherwise: &str) -> String {
    let plain = |c: char| if c.is_ascii_alphanumeric() { c.to_ascii_lowercase() } else { '-' };
    let name: String = name.chars().map(plain).collect();
    let words: Vec<&str> = name.split('-').filter(|word| !word.is_empty()).collect();
    if words.is_empty() { otherwise.to_owned() } else { words.join("-") }
}

/// Where a spreadsheet may begin a cell within a text: at its head, on a new line, behind what parts columns elsewhere.
const CELL_BEGINS: [char; 4] = ['\n', '\r', '\t', ';'];
/// What a formula begins with, in usual and in wide signs.
const FORMULA: [char; 8] = ['=', '+', '-', '@', '＝', '＋', '－', '＠'];

/// The blanks at the head of a part of a text, and the rest, where that could be taken for a formula.
fn formula(part: &str) -> Option<(&str, &str)> {
    let rest = part.trim_start();
    let like_one = rest.trim_start_matches('\'').starts_with(FORMULA);
    like_one.then(|| (&part[..part.len() - rest.len()], rest))
}

/// Text that a spreadsheet will not take for a formula: an apostrophe stands before what could be one.
fn plain(text: &str) -> String {
    let kept = |part| match formula(part) {
        Some((blanks, rest)) => format!("{blanks}'{rest}"),
        None => part.to_owned(),
    };
    text.split_inclusive(CELL_BEGINS).map(kept).collect()
}

/// The text that was written so.
fn unplain(cell: &str) -> String {
    let read = |part| match formula(part) {
        Some((blanks, rest)) => format!("{blanks}{}", rest.strip_prefix('\'').unwrap_or(rest)),
        None => part.to_owned(),
    };
    cell.split_inclusive(CELL_BEGINS).map(read).collect()
}

/// Makes the file.
pub(crate) fn make(sheetable: &Sheetable, format: Format) -> anyhow::Result<Vec<u8>> {
    Ok(match format {
        Format::CutSheetSvg => cut_sheet::draw(sheetable).into_bytes(),
        Format::CutSheetPdf => pdf::from_svg(&cut_sheet::draw(sheetable))?,
        Format::LabelPdf => pdf::from_svg(&label::draw(sheetable))?,
        Format::Csv => table::write(std::slice::from_ref(&sheetable.plan))?.into_bytes(),
        Format::Json => {
            let document = PlanDocument::of(vec![sheetable.plan.clone()], vec![]);
            serde_json::to_vec_pretty(&document)?
        }
    })
}
