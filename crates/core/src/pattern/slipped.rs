//! A finding as it comes out when something of its making was off: a mark that slipped, a middle that was not the middle,
//! a blank cut short, a loop not closed, wire thinner or harder than its label.
//!
//! The wire is as long as it was cut: what one part takes more, the straight next to it has less.

use std::cmp::Ordering;

use super::design::Design;
use super::form::FormedPiece;
use crate::making::run::From;
use crate::making::{Made, Operation, Step};
use crate::shape::{Course, Segment};
use crate::tool::coil::{Coil, Cone, outline_for};
use crate::tool::outline::Outline;
use crate::wire::bending::Bending;
use crate::wire::section::Profile;

/// What was off in the making.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Slips {
    /// How far up a tapered jaw, towards its base, the wire lay from the mark that loops are rolled at, mm.
    pub mark_mm: f64,
    /// The same of any bend made on a tapered jaw, rolled or not, mm.
    pub jaw_mm: f64,
    /// How far the large bend's middle lay from where it should, towards the far end, mm.
    pub centre_mm: f64,
    /// How much longer the blank was, mm.
    pub blank_mm: f64,
    /// How far loops were not closed, degrees.
    pub open_deg: f64,
    /// How far other bends were not bent as far as they should, degrees.
    pub bent_deg: f64,
    /// How far beyond its mark a bend was begun, seen from the end it is measured from, mm.
    pub start_mm: f64,
    /// Thickness of the wire over what its label says.
    pub size: f64,
    /// Flow stress as a multiple of what was planned with.
    pub flow: f64,
}

impl Default for Slips {
    fn default() -> Self {
        Self {
            mark_mm: 0.0,
            jaw_mm: 0.0,
            centre_mm: 0.0,
            blank_mm: 0.0,
            open_deg: 0.0,
            bent_deg: 0.0,
            start_mm: 0.0,
            size: 1.0,
            flow: 1.0,
        }
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
        self.slipped_at(made, slips, &|_| *slips)
    }

    /// The same where each step, by its place in the route, has slips of its own.
    #[must_use]
    pub fn slipped_at(
        &self,
        made: &Made,
        slips: &Slips,
        of_step: &dyn Fn(usize) -> Slips,
    ) -> FormedPiece<'a> {
        let mut design = self.design.clone();
        let profile = Profile { size_mm: design.profile.size_mm * slips.size, ..design.profile };
        let mut laying = Laying {
            moved: vec![None; design.segments.len()],
            segments: design.segments.clone(),
            before: design.profile,
            after: profile,
        };
        let middle = middle_of(made).map(|(n, segment)| {
            // What is folded in its middle is as far off as half of what the blank is too long.
            Middle { segment, moved_mm: of_step(n).start_mm + slips.blank_mm / 2.0 }
        });
        for (n, step) in made.steps.iter().enumerate() {
            let slips = Slips { blank_mm: slips.blank_mm, ..of_step(n) };
            for i in &step.segments {
                laying.bent(self, step, *i, &slips, middle);
            }
        }
        let apart_mm = laying.straights_between(slips.blank_mm);
        laying.off_centre(slips.centre_mm, &design);
        (design.segments, design.profile) = (laying.segments, profile);
        self.laid_apart(design, &apart_mm)
    }
}

/// The step, and the segment, at which a wire is folded in its middle, where something is done to both halves afterwards.
pub(super) fn middle_of(made: &Made) -> Option<(usize, usize)> {
    let halves =
        |step: &Step| step.numbers.doubled || matches!(step.numbers.from, Some(From::Fold | From::Parted));
    let (n, fold) = made.steps.iter().enumerate().find(|(_, step)| step.operation == Operation::Fold)?;
    made.steps.iter().any(halves).then_some((n, *fold.segments.first()?))
}

/// The fold of a wire that is folded in its middle.
#[derive(Clone, Copy)]
struct Middle {
    segment: usize,
    /// How far from where it should be, towards the far end, mm.
    moved_mm: f64,
}

/// Segments on their way from what was planned to what comes out.
struct Laying {
    segments: Vec<Segment>,
    /// How far the start and the end of each bend lie from where they should on the blank, towards the far end, mm.
    moved: Vec<Option<(f64, f64)>>,
    before: Profile,
    after: Profile,
}

impl Laying {
    /// One bend, bent as it is in this wire on this tool at this place.
    fn bent(&mut self, formed: &FormedPiece, step: &Step, i: usize, slips: &Slips, middle: Option<Middle>) {
        let Some(segment) = self.segments.get(i).copied() else { return };
        let numbers = &step.numbers;
        let rolled = step.operation == Operation::Loop;
        let beside_mm = slips.jaw_mm + if rolled { slips.mark_mm } else { 0.0 };
        let slid = numbers.slip_mm.map_or(0.0, |slip| slip * beside_mm);
        let sprung = self.sprung(formed, i, slips);
        let open = if rolled { slips.open_deg } else { slips.bent_deg };
        let course = match segment.course {
            Course::Bend { inside_mm, angle_deg, roll_deg, rise_mm } => {
                let (inside_mm, angle_deg) =
                    sprung.map_or((inside_mm, angle_deg), |(inside, share)| (inside, angle_deg * share));
                let inside_mm = (inside_mm + slid).max(0.1_f64.min(inside_mm));
                Course::Bend { inside_mm, angle_deg: (angle_deg - open).max(1.0), roll_deg, rise_mm }
            }
            Course::Spiral { inner_mm, turns, pitch_mm, roll_deg } => {
                Course::Spiral { inner_mm: (inner_mm + slid).max(0.0), turns, pitch_mm, roll_deg }
            }
            // What is wound on a rod springs as a bend does; what is wound on the wire's own stem lies on it.
            Course::Wrap { core_mm, turns, pitch_mm, roll_deg } if step.operation == Operation::Coil => {
                let (core_mm, share) = sprung.unwrap_or((core_mm, 1.0));
                Course::Wrap { core_mm, turns: turns * share, pitch_mm, roll_deg }
            }
            Course::Cone { small_mm, large_mm, turns, pitch_mm, roll_deg } => {
                let wanted = Cone { small_mm, large_mm, turns };
                let bending = self.bending(formed, slips);
                let left = wanted.wound_for(&formed.bending).and_then(|wound| wound.let_go(&bending));
                let Cone { small_mm, large_mm, turns } = left.unwrap_or(wanted);
                Course::Cone { small_mm, large_mm, turns, pitch_mm, roll_deg }
            }
            Course::Oval { long_mm, short_mm } => {
                let wanted = Outline::Oval { long: long_mm, short: short_mm };
                let bending = self.bending(formed, slips);
                let left = outline_for(&formed.bending, wanted)
                    .and_then(|rod| Coil::wind_with(&bending, rod))
                    .map_or(wanted, |coil| coil.relaxed);
                Course::Oval { long_mm: left.across(), short_mm: left.short_across() }
            }
            other => other,
        };
        self.segments[i].course = course;
        let more = self.segments[i].wire_mm(self.after) - segment.wire_mm(self.before);
        let (start, end) = moved(step, i, more, slips, middle);
        // A bend that adjoins one that is made already begins where that ends, not at a mark of its own.
        let beside = |j: Option<usize>| self.moved.get(j?).copied().flatten();
        let far = from_other_end(step, i, middle);
        self.moved[i] = Some(match (far, beside(i.checked_sub(1)), beside(Some(i + 1))) {
            (false, Some((_, before)), _) => (before, before + more),
            (true, _, Some((after, _))) => (after - more, after),
            _ => (start, end),
        });
    }

    /// How this wire bends, made of the one that was planned with.
    fn bending(&self, formed: &FormedPiece, slips: &Slips) -> Bending {
        Bending { profile: self.after, flow: formed.bending.flow.strengthened(slips.flow) }
    }

    /// Inside and share of the angle that are left of a bend on its tool in this wire; nothing where it is as planned.
    fn sprung(&self, formed: &FormedPiece, i: usize, slips: &Slips) -> Option<(f64, f64)> {
        if slips.flow == 1.0 && slips.size == 1.0 {
            return None;
        }
        let tool_mm = formed.wound_mm(i)? - self.before.centroid_mm();
        let planned = formed.bending;
        let bending = self.bending(formed, slips);
        let wound = tool_mm + self.after.centroid_mm();
        let (was, is) =
            (planned.springback_ratio(tool_mm + self.before.centroid_mm()), bending.springback_ratio(wound));
        (is > 0.0 && was > 0.0).then(|| (2.0 * (wound / is - self.after.centroid_mm()), is / was))
    }

    /// Gives each straight what lies between its neighbours now: bends that begin elsewhere, or take more wire, leave it more
    /// or less. Of several straights in a row the longest takes it. Where two bends should meet and do not, a little wire
    /// stays straight between them: gives how much before each segment, mm. A bend begins no sooner than the last one ends.
    fn straights_between(&mut self, blank_mm: f64) -> Vec<f64> {
        let n = self.segments.len();
        let mut apart_mm = vec![0.0; n];
        let length = |segment: &Segment| match segment.course {
            Course::Straight { length_mm } => Some(length_mm),
            _ => None,
        };
        let (mut i, mut before) = (0, 0.0);
        while i < n {
            if length(&self.segments[i]).is_none() {
                // A bend that no step makes moves with what lies before it.
                if let Some((start, end)) = self.moved[i] {
                    apart_mm[i] = (start - before).max(0.0);
                    before = end + (before - start).max(0.0);
                }
                i += 1;
                continue;
            }
            let row = i..(i..n).find(|j| length(&self.segments[*j]).is_none()).unwrap_or(n);
            let after =
                if row.end == n { blank_mm } else { self.moved[row.end].map_or(before, |(start, _)| start) };
            let longest = row.clone().max_by(|a, b| {
                length(&self.segments[*a]).partial_cmp(&length(&self.segments[*b])).unwrap_or(Ordering::Equal)
            });
            longest.into_iter().for_each(|j| self.lengthen(j, after - before));
            before = after;
            i = row.end;
        }
        apart_mm
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

/// Whether the end in hand is the far one, or the middle seen from it.
fn from_other_end(step: &Step, i: usize, middle: Option<Middle>) -> bool {
    let other_half = middle.is_some_and(|middle| i > middle.segment);
    match step.numbers.from {
        Some(From::Fold | From::Parted) => !other_half,
        Some(From::FarEnd) => true,
        _ => step.numbers.doubled && other_half,
    }
}

/// How far the start and the end of a bend lie from where they should, towards the far end, mm: its mark stays, and what it
/// takes more comes from beyond it, seen from the end in hand. Of a wire folded in its middle, the other half does the same
/// the other way round.
fn moved(step: &Step, i: usize, more: f64, slips: &Slips, middle: Option<Middle>) -> (f64, f64) {
    let fold_mm = middle.map_or(0.0, |middle| middle.moved_mm);
    if middle.is_some_and(|middle| middle.segment == i) {
        return (fold_mm - more / 2.0, fold_mm + more / 2.0);
    }
    let of_fold = matches!(step.numbers.from, Some(From::Fold | From::Parted));
    if from_other_end(step, i, middle) {
        let end = if of_fold { fold_mm } else { slips.blank_mm } - slips.start_mm;
        (end - more, end)
    } else {
        let start = if of_fold { fold_mm } else { 0.0 } + slips.start_mm;
        (start, start + more)
    }
}
