//! The blank: the straight cut piece a finding starts from.

use serde::Serialize;

use super::form::Formed;
use crate::words::length::{LengthUnit, ruler_step_mm};

/// Trimmed flush at each end, in thicknesses of the wire.
pub const TRIM: f64 = 0.6;
/// Filed or rounded off each end, in thicknesses.
pub const FILING: f64 = 0.15;

/// A blank, mm. Cut `cut_mm`; trimmed flush, `flush_mm` is left; marks count from its left flush end.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Blank {
    /// Wire in the finished piece.
    pub developed_mm: f64,
    /// Trimmed off each end.
    pub trim_mm: f64,
    /// Filed off each end.
    pub filing_mm: f64,
    /// Tail held at the left end, cut off later.
    pub left_tail_mm: f64,
    /// Tail held at the right end, cut off later.
    pub right_tail_mm: f64,
    /// Everything together.
    pub exact_mm: f64,
    /// The same, rounded up to what the maker's ruler reads.
    pub cut_mm: f64,
    /// What rounding up adds; it stays at the right end.
    pub surplus_mm: f64,
    /// What is left when both ends are trimmed.
    pub flush_mm: f64,
    /// Where the finished wire starts, from the left flush end.
    pub starts_mm: f64,
}

impl Formed<'_> {
    /// The blank it is made from, for a ruler of this unit.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let formed = hook.form().unwrap();
    /// let blank = formed.blank(LengthUnit::Mm);
    /// // What is cut is on the ruler's half millimetres, and never shorter than what is needed.
    /// assert!((blank.cut_mm * 2.0).fract().abs() < 1e-9 && blank.cut_mm >= blank.exact_mm - 1e-9);
    /// ```
    pub fn blank(&self, unit: LengthUnit) -> Blank {
        let h = self.design.profile.thickness_mm();
        let ends = &self.request.ends;
        let trim_mm = ends.trim_mm.unwrap_or(TRIM * h);
        let filing_mm = ends.filing_mm.unwrap_or(FILING * h);
        let tail = |needed: f64| if needed > 0.0 { ends.tail_mm.unwrap_or(needed) } else { 0.0 };
        let (left_tail_mm, right_tail_mm) = (tail(self.design.tails_mm.0), tail(self.design.tails_mm.1));
        let developed_mm = self.developed_mm();
        let exact_mm = developed_mm + 2.0 * (trim_mm + filing_mm) + left_tail_mm + right_tail_mm;
        let step = ruler_step_mm(unit);
        let cut_mm = (exact_mm / step - 1e-9).ceil() * step;
        Blank {
            developed_mm,
            trim_mm,
            filing_mm,
            left_tail_mm,
            right_tail_mm,
            exact_mm,
            cut_mm,
            surplus_mm: cut_mm - exact_mm,
            flush_mm: cut_mm - 2.0 * trim_mm,
            starts_mm: filing_mm + left_tail_mm,
        }
    }

    /// Where each segment lies on the blank, from its left flush end, mm.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let formed = hook.form().unwrap();
    /// let spans = formed.spans(&formed.blank(LengthUnit::Mm));
    /// // Each segment begins where the one before it ends.
    /// assert!(spans.windows(2).all(|pair| (pair[0].1 - pair[1].0).abs() < 1e-9));
    /// ```
    pub fn spans(&self, blank: &Blank) -> Vec<(f64, f64)> {
        let mut at = blank.starts_mm;
        self.wire_mm
            .iter()
            .map(|length| {
                let from = at;
                at += length;
                (from, at)
            })
            .collect()
    }
}
