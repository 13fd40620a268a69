//! The paper labels are printed on: one label, and how many of them stand on a sheet.

use lorimant_core::fault::{Fault, Faults, Span};
use lorimant_text::{Text, fixed, text};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// The labels a workshop prints, and the sheet they come on.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields, default)]
pub(crate) struct LabelPaper {
    /// Width of a label, mm, 30 to 200.
    pub width_mm: f64,
    /// Its height, mm, 20 to 150.
    pub height_mm: f64,
    /// Labels beside each other on a sheet, 1 to 12.
    pub columns_n: u32,
    /// Labels below each other, 1 to 30.
    pub rows_n: u32,
    /// From the sheet's left edge to the first label, mm.
    pub left_mm: f64,
    /// From its upper edge, mm.
    pub top_mm: f64,
    /// Between labels beside each other, mm.
    pub gap_across_mm: f64,
    /// Between labels below each other, mm.
    pub gap_down_mm: f64,
    /// Width of the sheet, mm, 50 to 500.
    pub sheet_width_mm: f64,
    /// Its height, mm, 50 to 700.
    pub sheet_height_mm: f64,
}

impl Default for LabelPaper {
    fn default() -> Self {
        Self {
            width_mm: 80.0,
            height_mm: 45.0,
            columns_n: 2,
            rows_n: 6,
            left_mm: 20.0,
            top_mm: 13.5,
            gap_across_mm: 10.0,
            gap_down_mm: 0.0,
            sheet_width_mm: 210.0,
            sheet_height_mm: 297.0,
        }
    }
}

impl LabelPaper {
    /// Checks its sizes, and that its labels stand on the sheet.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        let size = |noun, least, most| Span { noun, unit: " mm", least, most };
        for (field, value, span) in [
            ("width_mm", self.width_mm, size(Text::named("api-paper-label"), 30.0, 200.0)),
            ("height_mm", self.height_mm, size(Text::named("api-paper-height-label"), 20.0, 150.0)),
            ("left_mm", self.left_mm, size(Text::named("api-paper-left-margin"), 0.0, 300.0)),
            ("top_mm", self.top_mm, size(Text::named("api-paper-upper-margin"), 0.0, 300.0)),
            ("gap_across_mm", self.gap_across_mm, size(Text::named("api-paper-gap"), 0.0, 100.0)),
            ("gap_down_mm", self.gap_down_mm, size(Text::named("api-paper-gap"), 0.0, 100.0)),
            ("sheet_width_mm", self.sheet_width_mm, size(Text::named("api-paper-sheet"), 50.0, 500.0)),
            (
                "sheet_height_mm",
                self.sheet_height_mm,
                size(Text::named("api-paper-height-sheet"), 50.0, 700.0),
            ),
        ] {
            faults.keep(span.check(field, value));
        }
        for (field, n, most) in [("columns_n", self.columns_n, 12), ("rows_n", self.rows_n, 30)] {
            if n == 0 || n > most {
                let message = text!("api-paper-labels-do-not-fit-side", n, most);
                faults.add(Fault::new(field, message).limit(f64::from(most)));
            }
        }
        if faults.is_empty() {
            let (across, down) = (self.across_mm(self.columns_n), self.down_mm(self.rows_n));
            let over = |field: &str, mm: f64, sheet: f64| {
                let message =
                    text!("api-paper-that-many-labels-need-mm", mm = fixed(mm, 1), sheet = fixed(sheet, 1));
                (mm - sheet > 0.05).then(|| Fault::new(field, message).limit(sheet))
            };
            let wide = over("columns_n", across - self.gap_across_mm, self.sheet_width_mm);
            let high = over("rows_n", down - self.gap_down_mm, self.sheet_height_mm);
            faults.0.extend(wide.into_iter().chain(high));
        }
        faults.into_result()
    }

    /// From the sheet's left edge to a label's, by its column.
    pub fn across_mm(&self, column: u32) -> f64 {
        self.left_mm + f64::from(column) * (self.width_mm + self.gap_across_mm)
    }

    /// From the sheet's upper edge to a label's, by its row.
    pub fn down_mm(&self, row: u32) -> f64 {
        self.top_mm + f64::from(row) * (self.height_mm + self.gap_down_mm)
    }
}
