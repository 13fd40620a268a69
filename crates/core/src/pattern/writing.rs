//! The steps of a design written out as operations, each with its numbers.

use super::blank::Blank;
use super::design::Forming;
use super::form::FormedPiece;
use super::part::COUNTED;
use crate::making::operations::{
    self, Ball, Bend, Close, Coil, Flatten, Handwork, Left, Part, Round, Spiral, Stiffen, Straighten, Trim,
    Tumble, Wrap,
};
use crate::making::run::{From, Marked};
use crate::making::telling::LEVEL_MM;
use crate::making::{Operation, Perform};
use crate::shape::{Course, Segment, ball_wire_mm};
use crate::tool::method::{Hardening, NeckWhen, Rounding, Straightening};
use lorimant_text::text;

pub(super) type Route = Vec<Box<dyn Perform>>;

/// A bend of a loop that turns less than this is the neck that centres it, degrees.
pub(super) const LOOP_DEG: f64 = 200.0;

/// What the steps of a design are written out with.
pub(super) struct Writing<'a> {
    pub formed: &'a FormedPiece<'a>,
    pub blank: &'a Blank,
    pub spans: Vec<(f64, f64)>,
}

impl<'a> Writing<'a> {
    fn segment(&self, i: usize) -> Option<(&'a Segment, (f64, f64))> {
        Some((self.formed.design.segments.get(i)?, *self.spans.get(i)?))
    }

    /// The end a stretch is measured from: not the one that comes out longer on the ruler; the nearer where neither does.
    fn from(&self, (a, b): (f64, f64)) -> From {
        match self.blank.surplus_far {
            Some(true) => From::NearEnd,
            Some(false) => From::FarEnd,
            None if a <= self.blank.flush_exact_mm() - b + 1e-9 => From::NearEnd,
            None => From::FarEnd,
        }
    }

    fn formed(&self, i: usize, other: Option<usize>) -> Option<operations::FormedStretch> {
        let (shape, span) = self.segment(i)?;
        let from = if other.is_some() { From::NearEnd } else { self.from(span) };
        let blank_mm = self.blank.flush_exact_mm();
        let mirrored = self.formed.request.mirrored;
        Some(operations::FormedStretch {
            segment: i,
            shape: *shape,
            span,
            blank_mm,
            from,
            other,
            mirrored,
            fold_mm: 0.0,
        })
    }

    /// Writes one step of the design as operations.
    pub(super) fn write(&self, step: &Forming, route: &mut Route) {
        let methods = &self.formed.methods;
        let hint = step.hint;
        match step.kind {
            Operation::Close => route.push(Box::new(Close { what: step.what, ring_mm: None })),
            Operation::Straighten => {
                let span = step.segments.first().and_then(|i| self.spans.get(*i)).copied();
                let stretch = span.map(|span| (step.what, span));
                route.push(Box::new(Straighten {
                    by: Straightening::Pulls,
                    pulls_n: methods.pulls_n,
                    stretch,
                }));
            }
            operation @ (Operation::Press
            | Operation::Level
            | Operation::Texture
            | Operation::Bevel
            | Operation::True) => route.push(Box::new(Handwork { operation, what: step.what, hint })),
            Operation::Round => {
                self.trim_long(route);
                let (near_mm, far_mm) = (self.blank.left_filing_mm, self.blank.right_filing_mm);
                route.push(Box::new(Round { what: step.what, by: methods.rounding, near_mm, far_mm, hint }));
            }
            Operation::Kick => {
                self.trim_long(route);
                self.bend(step, route);
            }
            Operation::Part => {
                self.tumble(route);
                let fold = self.formed.design.fold();
                let span = fold.and_then(|i| self.spans.get(i)).copied();
                route.push(Box::new(Part { what: step.what, span }));
            }
            Operation::Hammer | Operation::Flatten => self.hammer(step, route),
            Operation::Coil | Operation::Wrap | Operation::Spiral => {
                for (n, i) in self.along(step).into_iter().enumerate() {
                    self.wind(step, i, n, route);
                }
            }
            _ => self.bend(step, route),
        }
    }

    /// The step's stretches in the order they are made: away from the end in hand.
    fn along(&self, step: &Forming) -> Vec<usize> {
        let mut all = step.segments.clone();
        let near =
            all.first().is_some_and(|first| *first == 0 || self.formed.design.segments[*first].reversed);
        if near && all.len() > 1 && step.kind == Operation::Wrap {
            all.reverse();
        }
        all
    }

    fn wind(&self, step: &Forming, i: usize, n: usize, route: &mut Route) {
        let Some(mut formed) = self.formed(i, None) else { return };
        if step.kind == Operation::Coil {
            // It is wound from where it is anchored.
            formed.from = From::NearEnd;
        }
        let (what, hint) = (step.what, if n == 0 { step.hint } else { "" });
        match step.kind {
            Operation::Coil => {
                let lifted = self.formed.design.steps.iter().filter(|step| step.kind == Operation::Lift);
                let lifted = lifted.flat_map(|step| &step.segments).filter_map(|i| self.segment(*i));
                let turned = |(shape, _): (&Segment, _)| shape.curve(self.formed.design.profile).angle();
                let more_n = lifted.map(turned).sum::<f64>() / std::f64::consts::TAU;
                route.push(Box::new(Coil { what, formed, more_n, hint }));
                // A cone comes off the taper and is trimmed before its mouths are levelled.
                if matches!(formed.shape.course, Course::Cone { .. }) {
                    self.trim_tail(false, route);
                }
            }
            Operation::Spiral => route.push(Box::new(Spiral { what, formed, hint })),
            _ => {
                let request = self.formed.request;
                let rule = COUNTED
                    .get(usize::from(request.value("counted") > 0.5))
                    .copied()
                    .unwrap_or_default()
                    .as_str();
                let counted = (request.value("wraps_n"), rule);
                route.push(Box::new(Wrap { what, formed, continues: n > 0, counted, hint }));
                let last = self.formed.design.segments.len() - 1;
                let (left, right) = (self.blank.left_tail_mm, self.blank.right_tail_mm);
                let done = n + 1 == step.segments.len();
                if done && right > 0.0 && step.segments.contains(&last) {
                    route.push(Box::new(Trim {
                        what: text!("writing-tail"),
                        far: true,
                        off_mm: right,
                        left: Left::NoTail,
                    }));
                }
                if done && left > 0.0 && step.segments.contains(&0) {
                    route.push(Box::new(Trim {
                        what: text!("writing-tail"),
                        far: false,
                        off_mm: left,
                        left: Left::NoTail,
                    }));
                }
            }
        }
    }

    /// Ends that are rolled flat are hammered while they are straight: the near or the far one.
    pub(super) fn flatten_ends(&self, far: bool, route: &mut Route) {
        let profile = self.formed.design.profile;
        let last = self.spans.len().saturating_sub(1);
        for (i, (segment, span)) in self.formed.design.segments.iter().zip(&self.spans).enumerate() {
            let Some(thickness_mm) = segment.flattened_mm.filter(|_| segment.flattened_first) else {
                continue;
            };
            if far != (i == last) {
                continue;
            }
            let grown = segment.wire_mm(profile) * segment.growth(profile);
            route.push(Box::new(Flatten {
                operation: Operation::Flatten,
                what: segment.what,
                stretches: vec![(*span, i, grown)],
                thickness_mm,
                rolled: Some(i == last),
                blank_mm: self.blank.flush_exact_mm(),
            }));
        }
    }

    fn hammer(&self, step: &Forming, route: &mut Route) {
        let flattened = |i: &usize| {
            let segment = self.formed.design.segments.get(*i)?;
            segment.flattened_mm.filter(|_| !segment.flattened_first)
        };
        let all: Vec<usize> = (0..self.spans.len()).filter(|i| flattened(i).is_some()).collect();
        for i in &all {
            let (Some((segment, span)), Some(thickness_mm)) = (self.segment(*i), flattened(i)) else {
                continue;
            };
            let grown =
                segment.wire_mm(self.formed.design.profile) * segment.growth(self.formed.design.profile);
            let what = if all.len() > 1 { segment.what } else { step.what };
            let stretches = vec![(span, *i, grown)];
            let blank_mm = self.blank.flush_exact_mm();
            route.push(Box::new(Flatten {
                operation: step.kind,
                what,
                stretches,
                thickness_mm,
                rolled: None,
                blank_mm,
            }));
        }
        let mallet = self.formed.methods.hardening == Hardening::Mallet || !step.hint.is_empty();
        if all.is_empty() && mallet {
            route.push(Box::new(Stiffen { what: step.what, span: self.stiffened(step), hint: step.hint }));
        }
    }

    /// Where what is stiffened lies on the blank: the bearing bends, or a stem that is named.
    fn stiffened(&self, step: &Forming) -> Option<(f64, f64)> {
        let design = &self.formed.design;
        let named = design.segments.iter().position(|segment| segment.what == step.what);
        let i = named.or_else(|| design.bears.first().copied())?;
        self.spans.get(i).copied()
    }

    fn bend(&self, step: &Forming, route: &mut Route) {
        let design = &self.formed.design;
        let last = design.segments.len() - 1;
        // What is bent once the wire is folded is bent in both at once; parted, in one after the other.
        let before = || design.steps.iter().take_while(|other| !std::ptr::eq(*other, step));
        let folded = design.fold().is_some() && before().any(|other| other.kind == Operation::Fold);
        let parted = before().any(|other| other.kind == Operation::Part);
        let mut first = true;
        let mut bent: Vec<usize> = step
            .segments
            .iter()
            .copied()
            .filter(|i| design.segments.get(*i).is_some_and(|s| !matches!(s.course, Course::Straight { .. })))
            .collect();
        // A neck is bent before the loop above it is rolled round, or set back after it.
        let angle = |i: usize| design.segments[i].curve(design.profile).angle().to_degrees();
        let is_neck = |i: usize| step.kind == Operation::Loop && angle(i) < LOOP_DEG;
        let neck_when = self.formed.methods.neck;
        let loops_too = bent.iter().any(|i| !is_neck(*i));
        let after = neck_when == NeckWhen::After && !folded && loops_too;
        if after {
            bent.sort_by_key(|i| is_neck(*i));
        }
        // A neck that follows its loop is set back where the loop meets the stem: its start is inside the loop by then.
        let follows = design
            .steps
            .windows(2)
            .any(|pair| std::ptr::eq(&raw const pair[1], step) && self.formed.sets_back(&pair[0], step));
        let set_back = after || follows && neck_when != NeckWhen::First;
        let alike = |what: &str| bent.iter().filter(|i| design.segments[**i].what == what).count();
        let mut counted = 0;
        for i in &bent {
            let segment = design.segments[*i];
            let other = folded.then(|| last - i);
            if other.is_some_and(|other| other < *i && bent.contains(&other)) {
                continue;
            }
            if let Course::Ball { diameter_mm } = segment.course {
                let length_mm = ball_wire_mm(diameter_mm, design.profile);
                route.push(Box::new(Ball { ball_mm: diameter_mm, length_mm, segment: *i }));
                continue;
            }
            let Some(mut formed) = self.formed(*i, other) else { continue };
            // The ends of folded wire are trimmed to each other later: its bends are measured from the fold.
            if let Some(fold) = design.fold().filter(|_| folded) {
                formed.from = if parted { From::Parted } else { From::Fold };
                formed.fold_mm = self.spans.get(fold).map_or(0.0, |span| span.0);
            }
            let of = alike(segment.what);
            counted += 1;
            let which = (of > 1 && other.is_none()).then_some((counted, of));
            let what = if bent.len() == 1 || other.is_some() { step.what } else { segment.what };
            // Beside a loop stand the small bends that centre it.
            let neck = is_neck(*i) && bent.len() > 1;
            let operation = if neck { Operation::Bend } else { step.kind };
            let hint = if first { step.hint } else { "" };
            first = false;
            let set_back = set_back && (neck || follows);
            route.push(Box::new(Bend { operation, what, which, formed, set_back, hint }));
        }
    }

    /// What was cut long is trimmed where its end stays free, the second to the first.
    fn trim_long(&self, route: &mut Route) {
        let Some(far) = self.blank.long_far.filter(|far| !tail_is_off(route, *far)) else {
            return;
        };
        let segments = &self.formed.design.segments;
        let last = segments.len() - 1;
        let end = if far { last } else { 0 };
        let length = self.spans.get(end).map_or(0.0, |(a, b)| b - a);
        let filed = if far { self.blank.right_filing_mm } else { self.blank.left_filing_mm };
        let off_mm = if far { self.blank.right_tail_mm } else { self.blank.left_tail_mm };
        let left = Left::Stretch(segments[end].what, length + filed);
        route.push(Box::new(Trim { what: segments[end].what, far, off_mm, left }));
    }

    /// What comes last: tails nobody trimmed yet, the barrel.
    pub(super) fn finish(&self, route: &mut Route) {
        self.trim_long(route);
        self.trim_tail(false, route);
        self.trim_tail(true, route);
        if !route.iter().any(|does| does.operation() == Operation::Part) {
            self.tumble(route);
        }
    }

    /// A tail that nobody trimmed yet.
    fn trim_tail(&self, far: bool, route: &mut Route) {
        let off_mm = if far { self.blank.right_tail_mm } else { self.blank.left_tail_mm };
        if off_mm > 0.0 && !tail_is_off(route, far) {
            route.push(Box::new(Trim { what: text!("writing-tail"), far, off_mm, left: Left::NoTail }));
        }
    }

    /// Where bends that are still to be made begin, as they are marked while the wire is straight. What is rolled from the very
    /// end needs no mark, turns are counted; what is bent of a folded wire is measured when it is.
    pub(super) fn marks(&self, steps: &[Forming]) -> Vec<Marked> {
        let bent = steps.iter().filter(|step| {
            use Operation::{Bend, Fold, Kick, Loop, Spiral};
            matches!(step.kind, Loop | Bend | Spiral | Fold | Kick)
        });
        let folded = self.formed.design.fold().is_some();
        let mut marks: Vec<Marked> = bent
            .flat_map(|step| step.segments.iter().map(move |i| (step.kind, *i)))
            .filter(|(kind, _)| !folded || *kind == Operation::Fold)
            .filter_map(|(kind, i)| {
                let (segment, span) = self.segment(i)?;
                if matches!(segment.course, Course::Straight { .. } | Course::Ball { .. }) {
                    return None;
                }
                if kind == Operation::Fold {
                    return Some(Marked { far: false, mm: f64::midpoint(span.0, span.1), middle: true });
                }
                let far = self.from(span) == From::FarEnd;
                // An end that is trimmed first is no place to measure from yet.
                let trimmed = kind == Operation::Kick && self.blank.long_far == Some(far);
                let at = if far { self.blank.flush_exact_mm() - span.1 } else { span.0 };
                (!trimmed).then_some(Marked { far, mm: at, middle: false })
            })
            .filter(|mark| mark.mm >= LEVEL_MM)
            .collect();
        marks.sort_by(|a, b| a.far.cmp(&b.far).then(a.mm.total_cmp(&b.mm)));
        marks.dedup();
        marks
    }

    fn tumble(&self, route: &mut Route) {
        let methods = &self.formed.methods;
        if methods.hardening == Hardening::Tumble || methods.rounding == Rounding::Barrel {
            route.push(Box::new(Tumble { hours: methods.tumble_h }));
        }
    }
}

/// Whether the tail at an end is taken off by a route.
fn tail_is_off(route: &Route, far: bool) -> bool {
    route.iter().any(|does| does.takes_tail() == Some(far))
}
