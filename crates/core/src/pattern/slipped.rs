//! A finding as it comes out when something of its making was off: a mark that slipped, a middle that was not the middle,
//! a blank cut short, a loop not closed, wire thinner or harder than its label.
//!
//! The wire is as long as it was cut: what one part takes more, the straight next to it has less.

use super::design::Design;
use super::form::FormedPiece;
use crate::making::run::From;
use crate::making::{Made, Operation, Step};
use crate::shape::{Course, Segment};
use crate::wire::bending::Bending;
use crate::wire::section::Profile;

/// What was off in the making.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Slips {
    /// How far up a tapered jaw, towards its base, the wire lay from the mark, mm.
    pub mark_mm: f64,
    /// How far the large bend's middle lay from where it should, towards the far end, mm.
    pub centre_mm: f64,
    /// How much longer the blank was, mm.
    pub blank_mm: f64,
    /// How far loops were not closed, degrees.
    pub open_deg: f64,
    /// Thickness of the wire over what its label says.
    pub size: f64,
    /// Flow stress as a multiple of what was planned with.
    pub flow: f64,
}

impl Default for Slips {
    fn default() -> Self {
        Self { mark_mm: 0.0, centre_mm: 0.0, blank_mm: 0.0, open_deg: 0.0, size: 1.0, flow: 1.0 }
    }
}

impl<'a> FormedPiece<'a> {
    /// The piece as it comes out of this making with these slips.
    ///
    /// ```
    /// use lorimant_core::making::Changes;
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::pattern::slipped::Slips;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let formed = hook.form().unwrap();
    /// let made = formed.made(&Changes::default(), &Workshop::default()).unwrap();
    /// let short = formed.slipped(&made, &Slips { blank_mm: -2.0, ..Slips::default() });
    /// // Two millimetres of wire are missing, and nothing else changed.
    /// assert!((formed.developed_mm() - short.developed_mm() - 2.0).abs() < 1e-9);
    /// ```
    #[must_use]
    pub fn slipped(&self, made: &Made, slips: &Slips) -> FormedPiece<'a> {
        let mut design = self.design.clone();
        let profile = Profile { size_mm: design.profile.size_mm * slips.size, ..design.profile };
        let mut laying = Laying { segments: design.segments.clone(), before: design.profile, after: profile };
        for step in &made.steps {
            for i in &step.segments {
                laying.bent(self, step, *i, slips);
            }
        }
        let (near_free, far_free) = self.free_ends();
        laying.longer(slips.blank_mm, near_free && !far_free);
        laying.off_centre(slips.centre_mm, &design);
        (design.segments, design.profile) = (laying.segments, profile);
        self.laid_as(design)
    }
}

/// Segments on their way from what was planned to what comes out.
struct Laying {
    segments: Vec<Segment>,
    before: Profile,
    after: Profile,
}

impl Laying {
    /// One bend, bent as it is in this wire on this tool at this place.
    fn bent(&mut self, formed: &FormedPiece, step: &Step, i: usize, slips: &Slips) {
        let Some(segment) = self.segments.get(i).copied() else { return };
        let numbers = &step.numbers;
        let rolled = step.operation == Operation::Loop;
        let slid = numbers.slip_mm.filter(|_| rolled).map_or(0.0, |slip| slip * slips.mark_mm);
        let sprung = self.sprung(formed, i, slips);
        let open = if rolled { slips.open_deg } else { 0.0 };
        let course = match segment.course {
            Course::Bend { inside_mm, angle_deg, roll_deg, rise_mm } => {
                let (inside_mm, angle_deg) =
                    sprung.map_or((inside_mm, angle_deg), |(inside, share)| (inside, angle_deg * share));
                let inside_mm = (inside_mm + slid).max(0.1);
                Course::Bend { inside_mm, angle_deg: (angle_deg - open).max(1.0), roll_deg, rise_mm }
            }
            Course::Spiral { inner_mm, turns, pitch_mm, roll_deg } => {
                Course::Spiral { inner_mm: (inner_mm + slid).max(0.0), turns, pitch_mm, roll_deg }
            }
            other => other,
        };
        self.segments[i].course = course;
        let more = self.segments[i].wire_mm(self.after) - segment.wire_mm(self.before);
        // The mark stays: what the bend takes more comes from beyond it, seen from the end in hand.
        self.give(i, -more, matches!(numbers.from, Some(From::FarEnd | From::Fold | From::Parted)));
    }

    /// Inside and share of the angle that are left of a bend on its tool in this wire; nothing where it is as planned.
    fn sprung(&self, formed: &FormedPiece, i: usize, slips: &Slips) -> Option<(f64, f64)> {
        if slips.flow == 1.0 && slips.size == 1.0 {
            return None;
        }
        let tool_mm = formed.wound_mm(i)? - self.before.centroid_mm();
        let planned = formed.bending;
        let bending = Bending { profile: self.after, flow: planned.flow.strengthened(slips.flow) };
        let wound = tool_mm + self.after.centroid_mm();
        let (was, is) =
            (planned.springback_ratio(tool_mm + self.before.centroid_mm()), bending.springback_ratio(wound));
        (is > 0.0 && was > 0.0).then(|| (2.0 * (wound / is - self.after.centroid_mm()), is / was))
    }

    /// Gives a length of wire to the straight next to a segment: after it, or before it where it was measured from the far
    /// end; to the other side where there is none.
    fn give(&mut self, i: usize, mm: f64, before: bool) {
        let straight = |segment: &Segment| matches!(segment.course, Course::Straight { .. });
        let after_it = (i + 1..self.segments.len()).find(|j| straight(&self.segments[*j]));
        let before_it = (0..i).rev().find(|j| straight(&self.segments[*j]));
        let first = if before { before_it.or(after_it) } else { after_it.or(before_it) };
        if let Some(j) = first {
            self.lengthen(j, mm);
        }
    }

    fn lengthen(&mut self, i: usize, mm: f64) {
        if let Some(Segment { course: Course::Straight { length_mm }, .. }) = self.segments.get_mut(i) {
            *length_mm = (*length_mm + mm).max(0.0);
        }
    }

    fn straights(&self) -> impl DoubleEndedIterator<Item = usize> {
        let straight = |(i, s): (usize, &Segment)| matches!(s.course, Course::Straight { .. }).then_some(i);
        self.segments.iter().enumerate().filter_map(straight)
    }

    /// A blank so much longer: its last straight, or its first where the near end is the free one.
    fn longer(&mut self, mm: f64, near: bool) {
        let at = if near { self.straights().next() } else { self.straights().next_back() };
        if let Some(i) = at {
            self.lengthen(i, mm);
        }
    }

    /// The bend that turns furthest, so much further on: what lies before it longer, what lies after it shorter.
    fn off_centre(&mut self, mm: f64, design: &Design) {
        if mm == 0.0 {
            return;
        }
        let rolled: Vec<usize> = design
            .steps
            .iter()
            .filter(|step| step.kind == Operation::Loop)
            .flat_map(|step| step.segments.iter().copied())
            .collect();
        let between = |i: usize| self.straights().any(|j| j < i) && self.straights().any(|j| j > i);
        let angle = |i: &usize| self.segments[*i].curve(self.after).angle();
        let bends = (0..self.segments.len()).filter(|i| !rolled.contains(i) && between(*i) && angle(i) > 0.3);
        let Some(bend) = bends.max_by(|a, b| angle(a).total_cmp(&angle(b))) else { return };
        let (before, after) = (self.straights().rfind(|j| *j < bend), self.straights().find(|j| *j > bend));
        before.into_iter().for_each(|j| self.lengthen(j, mm));
        after.into_iter().for_each(|j| self.lengthen(j, -mm));
    }
}
