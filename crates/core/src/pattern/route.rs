//! The route of a finding: cutting, its bends in their order, finishing.

use super::blank::Blank;
use super::design::Forming;
use super::form::FormedPiece;
use super::writing::{LOOP_DEG, Route, Writing};
use crate::fault::Faults;
use crate::making::operations::{Check, Cut, Left, MakeFlush, MarkOut, Straighten, Trim};
use crate::making::{Bench, Changes, Made, Operation, Workpiece, run};
use crate::shape::{Course, Segment};
use crate::tool::method::{CutWhen, FlatTo, Marking, NeckWhen, Straightening};
use crate::tool::workshop::Workshop;
use crate::words::length::LengthUnit;
use lorimant_text::text;

impl FormedPiece<'_> {
    /// Its route, run with what is changed about it, here or in the request itself: every operation with its numbers, and
    /// the workpiece after each.
    ///
    /// ```
    /// use lorimant_core::making::{Changes, Operation};
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let formed = hook.form().unwrap();
    /// let made = formed.made(&Changes::default(), &Workshop::default()).unwrap();
    /// assert_eq!(made.steps[0].operation, Operation::Straighten);
    /// // No wire is made or lost: what is cut is in the piece or falls off on the way.
    /// let blank = formed.blank(LengthUnit::Mm);
    /// assert!((made.finished().unwrap().length_mm + made.lost_mm() - blank.exact_mm).abs() < 1e-9);
    /// ```
    ///
    /// # Errors
    /// A fault at the change, or the step, that cannot be.
    pub fn made(&self, changes: &Changes, workshop: &Workshop) -> Result<Made, Faults> {
        let blank = self.blank(workshop.habits.unit);
        let changes = if changes.is_empty() { &self.request.route } else { changes };
        let route = changes.apply(self.operations(&blank))?;
        // What is wound on the cord it closes takes no rod of the workshop's.
        let on_cord = self.design.own_rod.clone().map(|rod| Workshop { rods: vec![rod], ..workshop.clone() });
        let bench = Bench {
            wire: &self.request.wire,
            workshop: on_cord.as_ref().unwrap_or(workshop),
            plier: self.request.plier.as_deref(),
            pieces_n: self.request.blanks_n(),
            coiled: false,
        };
        let mut made = run(&route, Workpiece::of(&self.request.wire, blank.exact_mm), &bench)?;
        self.say_what_is_in_the_way(&mut made.steps, workshop);
        Ok(made)
    }

    /// Its operations by the methods, before a maker changes anything.
    fn operations(&self, blank: &Blank) -> Route {
        let methods = &self.methods;
        let writing = Writing { formed: self, blank, spans: self.spans(blank) };
        let pinched = methods.flat_to == FlatTo::Spool;
        let on_spool = self.rolled_on_the_spool();
        // What is rolled before it is cut is pulled before it is rolled.
        let after = methods.straightening == Straightening::AfterCutting && on_spool == 0;
        let mut route: Route = vec![
            Box::new(Straighten {
                by: if after { Straightening::Fingers } else { methods.straightening },
                pulls_n: methods.pulls_n,
                stretch: None,
            }),
            Box::new(MakeFlush {
                sliver_mm: if pinched { 0.0 } else { blank.trim_mm },
                before_each: !pinched,
            }),
        ];
        if on_spool > 0 {
            writing.flatten_ends(false, &mut route);
        }
        let ordered = self.in_order(&self.design.steps);
        for step in &ordered[..on_spool] {
            writing.write(step, &mut route);
        }
        let on_it = &self.design.steps[..on_spool];
        let formed = on_it.iter().flat_map(|step| &step.segments).max();
        // What is lifted from a coil is wound with it.
        let wound = on_it.iter().any(|step| step.kind == Operation::Coil);
        let lifted = self.design.steps.iter().filter(|step| wound && step.kind == Operation::Lift);
        let formed = formed.max(lifted.flat_map(|step| &step.segments).max());
        let mark = MarkOut { at: writing.marks(&self.design.steps[on_spool..]) };
        let mark = Some(mark).filter(|mark| !mark.at.is_empty());
        let formed_to = formed.and_then(|i| writing.spans.get(*i)).map(|span| span.1);
        route.push(Box::new(Cut {
            length_mm: blank.flush_exact_mm(),
            surplus_mm: blank.surplus_mm,
            surplus_at: blank.surplus_at,
            allowance_mm: blank.allowance_mm,
            flat_to: methods.flat_to,
            formed_mm: formed_to,
            each_mm: blank.cut_mm,
            sliver_mm: if pinched { blank.trim_mm } else { 0.0 },
            mark: mark.clone().filter(|_| methods.marking == Marking::WithCut),
        }));
        if pinched && blank.trim_mm > 0.0 {
            let off_mm = blank.trim_mm;
            route.push(Box::new(Trim {
                what: text!("pattern-route-right-end"),
                far: true,
                off_mm,
                left: Left::Marked(blank.flush_mm),
            }));
        }
        if after {
            let (by, pulls_n) = (methods.straightening, methods.pulls_n);
            route.push(Box::new(Straighten { by, pulls_n, stretch: None }));
        }
        if let Some(mark) = mark.filter(|_| methods.marking == Marking::ByItself) {
            route.push(Box::new(mark));
        }
        if on_spool == 0 {
            writing.flatten_ends(false, &mut route);
        }
        writing.flatten_ends(true, &mut route);
        for step in &ordered[on_spool..] {
            writing.write(step, &mut route);
        }
        writing.finish(&mut route);
        route.push(Box::new(Check { text: text!("pattern-route-lay-on-drawing-or-second") }));
        route
    }
}

impl FormedPiece<'_> {
    /// Forming steps in the order the workshop does them: some hammer before they round the tips.
    fn in_order<'s>(&self, steps: &'s [Forming]) -> Vec<&'s Forming> {
        let mut steps: Vec<&Forming> = steps.iter().collect();
        for i in 1..steps.len() {
            let (first, then) = (steps[i - 1], steps[i]);
            let rounded = (first.kind, then.kind) == (Operation::Round, Operation::Hammer);
            if rounded && self.methods.hammer_first
                || self.methods.neck == NeckWhen::First && self.sets_back(first, then)
            {
                steps.swap(i - 1, i);
            }
        }
        steps
    }

    /// Whether a blank is marked before it is bent.
    pub(super) fn is_marked(&self) -> bool {
        let blank = self.blank(LengthUnit::Mm);
        let writing = Writing { formed: self, blank: &blank, spans: self.spans(&blank) };
        !writing.marks(&self.design.steps[self.rolled_on_the_spool()..]).is_empty()
    }

    /// Whether a step sets the loop back that the step before it rolled.
    pub(super) fn sets_back(&self, loop_step: &Forming, neck: &Forming) -> bool {
        let beside = |a: &usize, b: &usize| a.abs_diff(*b) == 1;
        loop_step.kind == Operation::Loop
            && neck.kind == Operation::Bend
            && neck.what == text!("part-neck")
            && loop_step.segments.iter().any(|a| neck.segments.iter().any(|b| beside(a, b)))
    }

    /// Whether a loop is rolled on a neck that can be bent before or after it.
    pub(super) fn has_neck(&self) -> bool {
        let turned = |i: &usize| {
            let segment = self.design.segments.get(*i);
            segment.map_or(0.0, |one| one.curve(self.design.profile).angle().to_degrees())
        };
        let neck = |step: &Forming| {
            let turned: Vec<f64> = step.segments.iter().map(turned).collect();
            let small = turned.iter().any(|deg| (1.0..LOOP_DEG).contains(deg));
            step.kind == Operation::Loop && small && turned.iter().any(|deg| *deg >= LOOP_DEG)
        };
        let mut pairs = self.design.steps.windows(2);
        let follows = pairs.any(|pair| self.sets_back(&pair[0], &pair[1]));
        self.design.fold().is_none() && (follows || self.design.steps.iter().any(neck))
    }

    /// How many of its first steps are done while it still hangs on the spool: those that form its near end alone.
    fn rolled_on_the_spool(&self) -> usize {
        if self.methods.cut != CutWhen::OnSpool && !self.design.on_spool {
            return 0;
        }
        // A cone's tail comes off the taper before its mouths are levelled, so it is cut first.
        let cone = |i: &usize| {
            matches!(self.design.segments.get(*i), Some(Segment { course: Course::Cone { .. }, .. }))
        };
        let at_the_end = |step: &&Forming| {
            let rolled = match step.kind {
                Operation::Loop | Operation::Bend | Operation::Ball | Operation::Spiral => true,
                Operation::Coil => !step.segments.iter().any(cone),
                _ => false,
            };
            rolled && !step.segments.is_empty() && step.segments.iter().all(|i| *i <= 1)
        };
        self.design.steps.iter().take_while(at_the_end).count()
    }
}
