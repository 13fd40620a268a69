//! Labels of bags, single and in sheets.

use lorimant_core::fault::Fault;
use lorimant_core::order::Bag;
use lorimant_core::tool::workshop::Workshop;

use super::label::{self, Label};
use super::pdf;
use super::svg::Page;
use crate::paper::LabelPaper;
use crate::progress::{Progress, Unwanted};
use lorimant_text::text;

/// A label to be printed.
pub(crate) struct ToPrint {
    /// Its number.
    pub id: i64,
    /// The bag.
    pub bag: Bag,
    /// Address of its recipe.
    pub address: String,
}

/// What labels are printed for and on.
pub(crate) struct Printing<'a> {
    /// The workshop's name.
    pub name: &'a str,
    /// Its tools and habits.
    pub workshop: &'a Workshop,
    /// The paper.
    pub paper: LabelPaper,
}

impl Printing<'_> {
    /// Checks that every label can be read on this paper.
    ///
    /// # Errors
    /// A fault at `width_mm` for the first whose rows do not fit in 5 point type, with the size that would do.
    pub fn check(&self, all: &[ToPrint]) -> Result<(), Fault> {
        let size = (self.paper.width_mm, self.paper.height_mm);
        for one in all {
            if let Some((width, height)) = self.with_label(one, |label| label::least_size(label, size)) {
                let name = &one.bag.name;
                let message =
                    text!("paper-label-too-small", name, wide = size.0, high = size.1, width, height);
                return Err(Fault::new("width_mm", message).limit(width));
            }
        }
        Ok(())
    }

    /// One label as SVG, at its own size.
    pub fn svg(&self, one: &ToPrint) -> String {
        let size = (self.paper.width_mm, self.paper.height_mm);
        self.with_label(one, |label| label::sized(label, size))
    }

    /// Labels one a page, each at its own size, as PDF.
    pub fn single(&self, all: &[ToPrint], progress: &Progress) -> anyhow::Result<Vec<u8>> {
        progress.takes(2 * all.len() as u64);
        let mut pages = vec![];
        for one in all {
            pages.push(self.svg(one));
            progress.step()?;
        }
        pdf::from_pages(&pages, progress)
    }

    /// Labels on sheets as pages of SVG; so many places of the first sheet are left empty, as they were used before.
    pub fn sheets(&self, all: &[ToPrint], used_n: u32, progress: &Progress) -> Result<Vec<String>, Unwanted> {
        let paper = self.paper;
        let size = (paper.width_mm, paper.height_mm);
        let per_sheet = paper.columns_n * paper.rows_n;
        progress.takes(all.len() as u64 + (all.len() as u64).div_ceil(per_sheet.into()));
        let mut pages: Vec<Page> = vec![];
        for (one, place) in all.iter().zip(used_n.min(per_sheet - 1)..) {
            let (column, row) = (place % paper.columns_n, place % per_sheet / paper.columns_n);
            if pages.is_empty() || place % per_sheet == 0 {
                pages.push(Page::new(paper.sheet_width_mm, paper.sheet_height_mm));
            }
            if let Some(page) = pages.last_mut() {
                let at = (paper.across_mm(column), paper.down_mm(row));
                self.with_label(one, |label| label::lay(page, at, label, size));
            }
            progress.step()?;
        }
        Ok(pages.into_iter().map(|page| page.finish("labels")).collect())
    }

    /// The same as one PDF.
    pub fn sheets_pdf(&self, all: &[ToPrint], used_n: u32, progress: &Progress) -> anyhow::Result<Vec<u8>> {
        pdf::from_pages(&self.sheets(all, used_n, progress)?, progress)
    }

    fn with_label<T>(&self, one: &ToPrint, draw: impl FnOnce(&Label) -> T) -> T {
        let told = one.bag.label(self.workshop);
        draw(&Label {
            name: &told.name,
            count: told.count.clone(),
            rows: told.rows.clone(),
            date: &told.date,
            workshop: self.name,
            typed: text!("paper-label-bag", id = one.id),
            code: Some(&one.address),
        })
    }
}
