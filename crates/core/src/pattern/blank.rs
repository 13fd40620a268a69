//! The blank: the straight cut piece a finding starts from.

use serde::Serialize;

use super::form::FormedPiece;
use super::is_nothing;
use crate::making::Operation;
use crate::shape::Segment;
use crate::tool::method::{CutWhen, FlatTo, Rounding, WrapTail};
use crate::words::length::{LengthUnit, ruler_mark_mm, ruler_step_mm};
use lorimant_text::text;

/// The sliver that falls off with each piece, in thicknesses of the wire.
pub const TRIM: f64 = 0.6;
/// Filed or rounded off an end, in thicknesses.
pub const FILING: f64 = 0.15;

/// A blank, mm. What lies between its two flush faces is measured off; marks count from its left one.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Blank {
    /// Wire in the finished piece.
    pub developed_mm: f64,
    /// The sliver that falls off with each piece, so that it starts and ends flush.
    pub trim_mm: f64,
    /// Filed off each end that is filed or rounded.
    pub filing_mm: f64,
    /// Filed off the left end.
    pub left_filing_mm: f64,
    /// Filed off the right end.
    pub right_filing_mm: f64,
    /// Tail held at the left end, cut off later.
    pub left_tail_mm: f64,
    /// Tail held at the right end, cut off later.
    pub right_tail_mm: f64,
    /// Everything together: what comes off the spool where the ruler adds nothing.
    pub exact_mm: f64,
    /// What comes off the spool: the flush length on the ruler, and the sliver.
    pub cut_mm: f64,
    /// What trials have shown that it must be longer, or shorter, than its parts add up to.
    #[serde(skip_serializing_if = "is_nothing")]
    pub allowance_mm: f64,
    /// What the ruler's mark adds, and the allowance: never less than nothing where the piece has an end that may be longer,
    /// up to half a mark either way where it has none.
    pub surplus_mm: f64,
    /// Where that shows.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub surplus_at: Option<&'static str>,
    /// Whether that is at the far end; what is marked is measured from the other.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub surplus_far: Option<bool>,
    /// Of a piece that is cut long and trimmed: whether that is at its far end.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub long_far: Option<bool>,
    /// What lies between the two flush faces, as it is measured off.
    pub flush_mm: f64,
    /// Where the finished wire starts, from the left flush end.
    pub starts_mm: f64,
}

impl Blank {
    /// What lies between the two flush faces, to the last hundredth.
    #[must_use]
    pub fn flush_exact_mm(&self) -> f64 {
        self.flush_mm - self.surplus_mm
    }
}

impl FormedPiece<'_> {
    /// The blank it is made from, for a ruler of this unit.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let formed = hook.form().unwrap();
    /// let blank = formed.blank(LengthUnit::Mm);
    /// // What is measured off is on the ruler's half millimetres, and never shorter than what is needed.
    /// assert!((blank.flush_mm * 2.0).fract().abs() < 1e-9 && blank.cut_mm >= blank.exact_mm - 1e-9);
    /// ```
    pub fn blank(&self, unit: LengthUnit) -> Blank {
        let h = self.design.profile.thickness_mm();
        let ends = &self.request.ends;
        // The flat of the cutter to the spool pinches the far end: where its tail comes off anyway, that is no loss of its own.
        let pinched_tail = self.methods.flat_to == FlatTo::Spool && self.design.tails_mm.1 > 0.0;
        let trim_mm = if pinched_tail { 0.0 } else { ends.trim_mm.unwrap_or(TRIM * h) };
        let filing_mm = ends.filing_mm.unwrap_or(FILING * h);
        let (near_free, far_free) = self.free_ends();
        // The two ends of folded wire are trimmed to each other as it is, and a coil has its tail.
        let coiled = self.design.steps.iter().any(|step| step.kind == Operation::Coil);
        let cut = if self.design.fold().is_some() || coiled { CutWhen::First } else { self.methods.cut };
        let long_far = match (cut, far_free, near_free) {
            (CutWhen::Long, true, _) => Some(true),
            (CutWhen::Long, false, true) => Some(false),
            _ => None,
        };
        // Wraps can be wound with the end itself in pliers; a coil is always held by its tail.
        let wraps = self.design.steps.iter().any(|step| step.kind == Operation::Wrap);
        let held = if wraps && self.methods.wrap_tail == WrapTail::Gripped { 0.0 } else { 1.0 };
        let tail = |needed: f64, far: bool| match needed * held {
            _ if long_far == Some(far) => self.methods.long_mm,
            mm if mm > 0.0 => ends.tail_mm.unwrap_or(mm),
            _ => 0.0,
        };
        let (left_tail_mm, right_tail_mm) =
            (tail(self.design.tails_mm.0, false), tail(self.design.tails_mm.1, true));
        let (left, right) = self.filed_ends();
        let left_filing_mm = if left { filing_mm } else { 0.0 };
        let right_filing_mm = if right { filing_mm } else { 0.0 };
        let developed_mm = self.developed_mm();
        let flush = developed_mm + left_filing_mm + right_filing_mm + left_tail_mm + right_tail_mm;
        // What the ruler adds stays where the piece may be longer.
        let named = |segment: Option<&Segment>| segment.map_or(text!("blank-end"), |segment| segment.what);
        let surplus = match (right_tail_mm > 0.0, left_tail_mm > 0.0, far_free, near_free) {
            (true, ..) => Some((text!("part-tail"), true)),
            (_, true, ..) => Some((text!("part-tail"), false)),
            (_, _, true, _) => Some((named(self.design.segments.last()), true)),
            (_, _, _, true) => Some((named(self.design.segments.first()), false)),
            _ => None,
        };
        let allowance = self.request.allowance_mm;
        let (surplus_at, surplus_far) = (surplus.map(|(at, _)| at), surplus.map(|(_, far)| far));
        let step = ruler_step_mm(unit);
        let wanted = flush + allowance;
        // Where no end may be longer the nearest mark is taken, and the loops share what is over or missing.
        let flush_mm = match surplus_at {
            Some(_) => (wanted / step - 1e-9).ceil() * step,
            None => ruler_mark_mm(wanted, unit).max(step),
        };
        Blank {
            developed_mm,
            allowance_mm: allowance,
            trim_mm,
            filing_mm,
            left_filing_mm,
            right_filing_mm,
            left_tail_mm,
            right_tail_mm,
            exact_mm: flush + trim_mm,
            cut_mm: flush_mm + trim_mm,
            surplus_mm: flush_mm - flush,
            surplus_at,
            surplus_far,
            long_far,
            flush_mm,
            starts_mm: left_filing_mm + left_tail_mm,
        }
    }

    /// What its ends lose, in thicknesses of the wire: the sliver, and what is filed off ends that are filed.
    pub(crate) fn ends_share(&self) -> f64 {
        let (near, far) = self.filed_ends();
        TRIM + FILING * f64::from(u8::from(near) + u8::from(far))
    }

    /// Which ends are filed: the free ones of a piece whose tips are rounded. The barrel takes nothing worth counting.
    fn filed_ends(&self) -> (bool, bool) {
        let filed = self.methods.rounding != Rounding::Barrel
            && self.design.steps.iter().any(|step| step.kind == Operation::Round);
        let (near_free, far_free) = self.free_ends();
        (filed && near_free, filed && far_free)
    }

    /// Whether the near and the far end stay free: neither closes on anything, nor is a tail that comes off.
    pub fn free_ends(&self) -> (bool, bool) {
        let closes = |far: bool| {
            self.design.closures.iter().any(|closure| closure.far_end == far || closure.on.is_none())
        };
        let (near_tail, far_tail) = self.design.tails_mm;
        (!closes(false) && near_tail <= 0.0, !closes(true) && far_tail <= 0.0)
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
