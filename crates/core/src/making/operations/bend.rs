//! Bend on a tool: roll a loop, bend, fold, lift a turn, kick a tip.

use crate::making::place::{Bent, Chooser};
use crate::making::run::{From, Turn};
use crate::making::telling::{CLOSES_DEG, held, hinted, place, slipped, springs, the, until, which_way};
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::shape::path::Curve;
use crate::shape::{Course, Segment};
use crate::wire::bending::Bending;
use crate::words::length::caliper;
use lorimant_text::text;

/// A stretch of a finding's blank, and the shape it gets.
#[derive(Debug, Clone, Copy)]
pub struct FormedStretch {
    /// Its segment.
    pub segment: usize,
    /// Its shape, as the wire runs from the near end.
    pub shape: Segment,
    /// Where it lies on the flush blank, mm.
    pub span: (f64, f64),
    /// Length of that blank, mm.
    pub blank_mm: f64,
    /// The end in hand.
    pub from: From,
    /// The same segment of the other wire of a folded pair, where it is done to both.
    pub other: Option<usize>,
    /// Whether the piece is made as in a mirror.
    pub mirrored: bool,
    /// Where the left wire was parted from the fold, mm on the flush blank, once it is.
    pub fold_mm: f64,
}

impl FormedStretch {
    /// The tool for it as hard as the wire is there now, and how the wire bends there.
    pub(super) fn tool(&self, operation: Operation, piece: &Workpiece, bench: &Bench) -> (Option<Bent>, f64) {
        let (from, to) = self.here(piece);
        let spent = piece.strain_between(from, to);
        let profile = self.shape.bent_profile(bench.wire.profile());
        let bending = Bending { profile, ..Bending::after(bench.wire, spent) };
        let chooser = Chooser { bending, plier: bench.plier, workshop: bench.workshop };
        (chooser.tool(&self.shape, operation), spent)
    }

    /// Where it lies on the piece as it is now.
    pub(super) fn here(&self, piece: &Workpiece) -> (f64, f64) {
        (self.span.0 - piece.gone_mm, self.span.1 - piece.gone_mm)
    }

    /// The segments that have their shape afterwards.
    pub(super) fn segments(&self) -> Vec<usize> {
        [self.segment].into_iter().chain(self.other).collect()
    }

    /// Where it starts and which way it turns, seen with the end in hand.
    pub(super) fn numbers(&self, profile: crate::wire::section::Profile) -> Numbers {
        let (a, b) = self.span;
        let far = matches!(self.from, From::FarEnd | From::Fold | From::Parted);
        let at = match self.from {
            From::FarEnd => self.blank_mm - b,
            From::Fold | From::Parted => self.fold_mm - b,
            _ => a,
        };
        let mut numbers = Numbers {
            from: Some(self.from),
            at_mm: Some(at.max(0.0)),
            length_mm: Some(b - a),
            doubled: self.other.is_some(),
            ..Numbers::default()
        };
        let curve = self.shape.curve(profile);
        let Curve::Turn { rise, roll, .. } = curve else {
            numbers.turn = Some(if far == self.mirrored { Turn::Left } else { Turn::Right });
            return numbers;
        };
        let mut plane = roll.to_degrees();
        // From the other end, and in a mirror, what was left is right; what is towards the eye stays so.
        if far != self.mirrored {
            plane = 180.0 - plane;
        }
        let plane = (plane + 180.0).rem_euclid(360.0) - 180.0;
        let rise = if self.mirrored { -rise } else { rise };
        match plane {
            p if p.abs() < 1e-6 => numbers.turn = Some(Turn::Left),
            p if (p.abs() - 180.0).abs() < 1e-6 => numbers.turn = Some(Turn::Right),
            p => numbers.plane_deg = Some(p),
        }
        numbers.rise_mm = (rise.abs() > 1e-12).then_some(rise);
        numbers
    }
}

/// One bend on a tool, to an angle or until it closes.
#[derive(Debug, Clone, Copy)]
pub struct Bend {
    /// Which way of bending: loop, bend, fold, lift, kick.
    pub operation: Operation,
    /// What it makes.
    pub what: &'static str,
    /// Which of several alike, and of how many: `(2, 6)`.
    pub which: Option<(usize, usize)>,
    /// The stretch.
    pub formed: FormedStretch,
    /// Whether it is a neck that is set back once the loop above it is rolled.
    pub set_back: bool,
    /// The pattern's own way, where it has one.
    pub hint: &'static str,
}

impl Bend {
    fn text(&self, numbers: &Numbers, bent: &Bent, bench: &Bench) -> String {
        let unit = bench.unit();
        let the = match self.which {
            Some((n, of)) => text!("bend-of", what = self.what, n, of),
            None => the(self.what),
        };
        let (at, way, with) = (place(numbers, unit), which_way(numbers), held(bent, unit));
        let (way, until) =
            (if way.is_empty() { way } else { format!(" {way}") }, until(self.operation, numbers));
        let both = match (numbers.doubled, numbers.from) {
            (true, Some(From::Parted)) => text!("bend-then-other-one-at-same"),
            (true, _) => text!("bend-bend-both-wires-same-way"),
            _ => "",
        };
        let fold_in_middle = numbers.from == Some(From::Fold) || self.middle();
        let told = match self.operation {
            Operation::Fold if fold_in_middle => {
                text!("bend-fold-back-on-itself-press", at)
            }
            Operation::Fold => text!("bend-fold-back-press-two-wires", at, the, way),
            _ if self.set_back => {
                text!("bend-where-loop-meets-stem-bend", way, with)
            }
            Operation::Lift => text!("bend-lift-upright-make-bail-close", the),
            Operation::Loop => text!("bend-roll-roll", at, the, way, with, until),
            _ => text!("bend-bend-bend", at, the, way, with, until),
        };
        told + both
    }

    /// Whether it is the fold in the middle of doubled wire.
    fn middle(&self) -> bool {
        let (a, b) = self.formed.span;
        ((a + b) / 2.0 - self.formed.blank_mm / 2.0).abs() < 1e-6
    }
}

impl Perform for Bend {
    fn operation(&self) -> Operation {
        self.operation
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let profile = self.formed.shape.bent_profile(bench.wire.profile());
        let (bent, spent) = self.formed.tool(self.operation, piece, bench);
        let Some(bent) = bent else { return Err(text!("bend-there-nothing-bend-in").to_owned()) };
        let c = profile.centroid_mm();
        let shape = self.formed.shape;
        let inside = shape.course.tightest_mm().unwrap_or(0.0);
        // What is hammered afterwards grows, so it is made tighter.
        let radius = (inside / 2.0 + c) / shape.opens(profile);
        let bending = Bending { profile, ..Bending::after(bench.wire, spent) };
        let wound = bending.wound_radius(radius);
        let made = wound.unwrap_or(radius);
        let outer = crate::wire::strength::outer_strain(profile, made);
        let (from, to) = self.formed.here(piece);
        let used = bench.share(piece.outer_between(from, to), outer);
        piece.bend((from, to), made, profile);
        if self.formed.other.is_some() {
            // The other wire is its mirror, whatever was filed off both.
            let other = (piece.length_mm - to, piece.length_mm - from);
            piece.bend(other, made, profile);
        }
        let mut numbers = self.formed.numbers(profile);
        if self.operation == Operation::Fold && self.middle() {
            numbers.at_mm = Some(f64::midpoint(self.formed.span.0, self.formed.span.1));
        }
        let left = shape.curve(profile).angle().to_degrees();
        let jaw = !matches!(bent.place.with, crate::making::place::With::FlatNose);
        numbers.tool = Some(bent.place.tool.clone());
        numbers.tool_mm = wound.filter(|_| jaw).map(|radius| 2.0 * (radius - c));
        numbers.own_mm = bent
            .place
            .diameter_mm
            .filter(|own| numbers.tool_mm.is_some_and(|wanted| (own - wanted).abs() > 1e-6));
        numbers.jaw_mm = bent.place.jaw_mm;
        numbers.slip_mm = bent.place.slip_mm;
        numbers.angle_to_deg = Some(bent.to_deg);
        numbers.angle_left_deg = Some(left);
        numbers.inside_mm = Some(inside);
        numbers.strain_used = Some(used);
        if let Course::Oval { .. } = shape.course {
            let rod = crate::tool::coil::outline_for(&bending, oval(shape.course));
            numbers.tool_mm = rod.map(crate::tool::outline::Outline::across);
            numbers.tool_short_mm = rod.map(crate::tool::outline::Outline::short_across);
            numbers.inside_mm = Some(oval(shape.course).across());
            // The end of its short way, where it gives, is bent least.
            let side = rod.and_then(crate::tool::outline::Outline::side_radius).map_or(made, |mm| mm + c);
            piece.softer_at_side = bending.mean_strain(made) - bending.mean_strain(side);
        }
        let mut hints = hinted(self.hint);
        if let (Some(mm), true) = (numbers.tool_mm, bent.place.misfit.is_none()) {
            let off = bent.place.diameter_mm.is_some_and(|own| (own - mm).abs() > 0.03);
            hints.extend(off.then(|| {
                let gives = bent.place.gives_mm.map_or(String::new(), |mm| caliper(mm, bench.unit()));
                text!("bend-would-be-exact-this-tool", mm = caliper(mm, bench.unit()), gives)
            }));
        }
        hints.extend(bent.place.slip_mm.map(|slip| slipped(slip, bench.unit())));
        hints.extend(springs(&numbers).map(str::to_owned));
        // A loop is rolled until its end meets what it closes on.
        piece.shut |= self.operation == Operation::Loop && left > CLOSES_DEG;
        let turns = left / 360.0;
        let each = if numbers.doubled { 0.6 } else { 0.3 } + 0.2 * turns;
        Ok(Done {
            what: self.what.to_owned(),
            segments: self.formed.segments(),
            text: self.text(&numbers, &bent, bench),
            numbers,
            hints,
            misfit: bent.place.misfit,
            takes: Takes::minutes(0.5, each).effort(bench.effort(spent)),
            ..Done::default()
        })
    }
}

fn oval(course: Course) -> crate::tool::outline::Outline {
    match course {
        Course::Oval { long_mm, short_mm } => {
            crate::tool::outline::Outline::Oval { long: long_mm, short: short_mm }
        }
        _ => crate::tool::outline::Outline::Round { diameter: 0.0 },
    }
}
