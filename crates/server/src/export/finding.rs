//! A finding on paper and in open formats.

use anyhow::anyhow;
use lorimant_core::pattern::PatternRequest;
use lorimant_core::pattern::sheet::{PatternSheet, PatternWorked};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::length::LengthUnit;

use super::{card, dxf, ending_of, file_stem, format_named, pdf, plain};
use crate::document::plans::PlanDocument;
use crate::kept::{Kept as _, KeptPattern, Settings};
use crate::problem::Problem;
use crate::progress::Progress;
use lorimant_text::text;

/// What a finding can be taken away as.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) enum PatternFormat {
    CardA4,
    CardA5,
    CardSvg,
    Label,
    Dxf,
    Bends,
    Json,
}

impl PatternFormat {
    const ALL: [(&'static str, Self); 7] = [
        ("card-a4.pdf", Self::CardA4),
        ("card-a5.pdf", Self::CardA5),
        ("card.svg", Self::CardSvg),
        ("label.pdf", Self::Label),
        ("drawing.dxf", Self::Dxf),
        ("bends.csv", Self::Bends),
        ("pattern.json", Self::Json),
    ];

    /// The format of a file name; a sentence naming those there are for any other.
    pub fn named(file: &str) -> Result<Self, Problem> {
        format_named(&Self::ALL, file)
    }

    /// Media type.
    pub fn kind(self) -> &'static str {
        match self {
            Self::CardA4 | Self::CardA5 | Self::Label => "application/pdf",
            Self::CardSvg => "image/svg+xml",
            Self::Dxf => "image/vnd.dxf",
            Self::Bends => "text/csv; charset=utf-8",
            Self::Json => "application/json",
        }
    }

    fn ending(self) -> &'static str {
        ending_of(&Self::ALL, &self)
    }
}

/// A finding worked out and dated, ready for paper.
pub(crate) struct Finding {
    pub pattern: KeptPattern,
    pub sheet: PatternSheet,
    pub worked: PatternWorked,
    pub workshop: String,
    /// The unit the workshop reads first.
    pub unit: LengthUnit,
    pub date: String,
}

impl Finding {
    /// Works a finding out for paper; refused as keeping it would be.
    pub fn new(mut pattern: KeptPattern, settings: &Settings, workshop: &Workshop) -> Result<Self, Problem> {
        pattern.check()?;
        pattern.request = pattern.request.known(workshop);
        let request: &PatternRequest = &pattern.request;
        request.form_with(workshop)?;
        let sheet = request.sheet(workshop);
        let worked = sheet.result.clone();
        let worked = worked
            .ok_or_else(|| Problem::internal(text!("paper-export-finding-this-finding-could-not-be")))?;
        let date = jiff::ZonedDateTime::now().date().to_string();
        Ok(Self {
            pattern,
            sheet,
            worked,
            workshop: settings.workshop_name.clone(),
            unit: settings.unit,
            date,
        })
    }

    /// A file name from the pattern's name.
    pub fn file_name(&self, format: PatternFormat) -> String {
        format!("{}.{}", file_stem(&self.pattern.name, "pattern"), format.ending())
    }
}

/// Makes the file.
pub(crate) fn make(of: &Finding, format: PatternFormat, progress: &Progress) -> anyhow::Result<Vec<u8>> {
    Ok(match format {
        PatternFormat::CardA4 => pdf::from_pages(&card::draw(of, card::A4), progress)?,
        PatternFormat::CardA5 => pdf::from_pages(&card::draw(of, card::A5), progress)?,
        PatternFormat::CardSvg => card::drawn(of).into_bytes(),
        PatternFormat::Label => pdf::from_svg(&card::label(of))?,
        PatternFormat::Dxf => {
            let formed = of.pattern.request.form().map_err(|faults| anyhow!("{faults}"))?;
            dxf::write(&formed).into_bytes()
        }
        PatternFormat::Bends => bends(of)?.into_bytes(),
        PatternFormat::Json => {
            serde_json::to_vec_pretty(&PlanDocument::of(vec![], vec![of.pattern.clone()]))?
        }
    })
}

/// The bend table: one line a mark, in the order of forming.
fn bends(of: &Finding) -> anyhow::Result<String> {
    let mut table = csv::Writer::from_writer(vec![]);
    table.write_record([
        "forming_n",
        "what",
        "at_mm",
        "to_mm",
        "inside_mm",
        "angle_deg",
        "bend_to_deg",
        "tool",
        "tool_mm",
        "jaw_mm",
        "slip_mm",
    ])?;
    let mut marks: Vec<_> = of.worked.form.marks.iter().collect();
    marks.sort_by_key(|mark| mark.forming_n);
    let exact = |mm: Option<f64>| mm.map_or(String::new(), |mm| format!("{mm:.4}"));
    for mark in marks {
        table.write_record([
            mark.forming_n.to_string(),
            mark.what.to_owned(),
            format!("{:.4}", mark.at_mm),
            format!("{:.4}", mark.to_mm),
            exact(mark.inside_mm),
            format!("{:.3}", mark.left_deg),
            format!("{:.3}", mark.angle_deg),
            plain(&mark.tool),
            exact(mark.tool_mm),
            exact(mark.jaw_mm),
            exact(mark.slip_mm),
        ])?;
    }
    Ok(String::from_utf8(table.into_inner().map_err(|error| anyhow!("{error}"))?)?)
}
