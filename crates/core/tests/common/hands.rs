//! The hands of a maker who reads only the numbers of the steps: each length, mark, tool and angle as it stands, the wire let
//! go by the mechanics.

use std::f64::consts::TAU;

use glam::DVec3;
use lorimant_core::making::run::{From, Turn};
use lorimant_core::making::{Operation, Step};
use lorimant_core::shape::ball_wire_mm;
use lorimant_core::shape::path::{Curve, Frame};
use lorimant_core::tool::coil::{Coil, Cone};
use lorimant_core::tool::outline::Outline;
use lorimant_core::wire::Wire;
use lorimant_core::wire::bending::Bending;
use lorimant_core::wire::section::Profile;

/// What the maker's hands know of the wire: how hard it is all over before it is bent, and where it was bent since.
pub struct Hands<'a> {
    pub wire: &'a Wire,
    pub spent: f64,
    /// Length of the flush blank, mm.
    pub blank_mm: f64,
    /// Bends by where they lie on it: from, to, and the shape let go.
    pub bends: Vec<(f64, f64, Curve)>,
    /// Whether what was bent was hammered before, in the same order.
    pub grown: Vec<bool>,
    /// Which segment of the piece each bend is, in the same order.
    pub segments: Vec<Option<usize>>,
    /// Whether anything was measured from the far end yet.
    pub from_far: bool,
    /// Where the wire was folded.
    pub fold: Option<(f64, f64)>,
    /// Wire that a ball has swallowed at the near end, mm.
    pub ball_mm: f64,
    /// Stretches hammered to a thickness.
    pub thin: Vec<(f64, f64, f64)>,
    /// Wire off the near and the far end since it was cut, mm.
    pub off: (f64, f64),
    /// Whether it goes by what a ruler shows.
    pub by_ruler: bool,
}

impl<'a> Hands<'a> {
    /// Hands with straight wire in them.
    pub fn with(wire: &'a Wire, by_ruler: bool) -> Self {
        Self {
            wire,
            spent: wire.temper.strain(),
            blank_mm: 0.0,
            bends: vec![],
            grown: vec![],
            segments: vec![],
            from_far: false,
            fold: None,
            ball_mm: 0.0,
            thin: vec![],
            off: (0.0, 0.0),
            by_ruler,
        }
    }
}

impl Hands<'_> {
    fn growth(&self, from: f64, to: f64) -> f64 {
        let h = self.wire.profile().thickness_mm();
        self.thinned(from, to).map_or(1.0, |t| (h / t).powf(0.3))
    }

    fn thinned(&self, from: f64, to: f64) -> Option<f64> {
        let over = |t: &&(f64, f64, f64)| t.0 < to - 1e-6 && t.1 > from + 1e-6;
        self.thin.iter().find(over).map(|(_, _, t)| *t)
    }

    /// Where on the blank a stretch begins that a step measures from an end, or from the fold.
    fn place(&self, step: &Step, at: f64, long: f64) -> f64 {
        match step.numbers.from {
            Some(From::FarEnd) => self.blank_mm - at - long,
            Some(From::Fold | From::Parted) => self.fold.unwrap().0 - at - long,
            _ => at,
        }
    }

    /// What is bent where a step bends: the wire, or the harder strip it was hammered to before.
    fn strip(&self, step: &Step) -> (Bending, f64) {
        let numbers = &step.numbers;
        let (at, long) = (numbers.at_mm.unwrap_or(0.0), numbers.length_mm.unwrap_or(0.0));
        let from = self.place(step, at, long);
        let profile = self.wire.profile();
        match self.thinned(from, from + long) {
            Some(thin) => {
                let spent = self.spent + (profile.thickness_mm() / thin).ln();
                // Hammered, the section is thinner and wider by the same everywhere: as thick as that, of the same shape.
                let flat = Profile { size_mm: profile.size_mm * thin / profile.thickness_mm(), ..profile };
                (Bending { profile: flat, ..Bending::after(self.wire, spent) }, flat.centroid_mm())
            }
            None => (Bending::after(self.wire, self.spent), profile.centroid_mm()),
        }
    }

    /// What a bend becomes once it is let go: its radius, and how much of its angle stays.
    fn let_go(&self, step: &Step) -> (f64, f64) {
        let numbers = &step.numbers;
        let (bending, c) = self.strip(step);
        let made = match numbers.tool_mm {
            Some(tool) => tool / 2.0 + c,
            // Against a flat edge there is no tool to read a radius off: it is pressed to its inside.
            None => {
                let left = numbers.inside_mm.unwrap() / 2.0 + c;
                return (left, bending.wound_radius(left).map_or(1.0, |made| made / left));
            }
        };
        let ratio = bending.springback_ratio(made);
        (made / ratio, ratio)
    }

    fn plane(&self, step: &Step) -> f64 {
        let numbers = &step.numbers;
        let seen = match (numbers.turn, numbers.plane_deg) {
            (Some(Turn::Left), _) => 0.0,
            (Some(Turn::Right), _) => 180.0,
            (None, Some(plane)) => plane,
            (None, None) => panic!("step {} does not say which way", step.step_n),
        };
        // Seen from the other end, left is right.
        let far = matches!(numbers.from, Some(From::FarEnd | From::Fold | From::Parted));
        (if far { 180.0 - seen } else { seen }).to_radians()
    }

    /// Where a bend begins that goes on where one ends that was made before, seen from the end in hand: there, as hands see
    /// it, whatever the ruler says. Nothing where it has a mark of its own.
    fn beside(&self, step: &Step, wire_mm: f64) -> Option<f64> {
        let segment = step.segments.first().filter(|_| self.by_ruler)?;
        let far = matches!(step.numbers.from, Some(From::FarEnd | From::Fold | From::Parted));
        let neighbour = if far { Some(segment + 1) } else { segment.checked_sub(1) };
        let made = self.segments.iter().position(|made| made.is_some() && *made == neighbour)?;
        let (from, to, _) = self.bends[made];
        Some(if far { from - wire_mm } else { to })
    }

    /// Bends a stretch, from the end it is measured from.
    fn bend(&mut self, step: &Step, curve: impl Fn(f64) -> Curve, wire_mm: f64) {
        let numbers = &step.numbers;
        // Without a place it is folded with both ends level.
        let at = numbers.at_mm.unwrap_or(self.blank_mm / 2.0);
        let roll = self.plane(step);
        self.from_far |= numbers.from == Some(From::FarEnd);
        let middle = step.operation == Operation::Fold
            && (at - self.blank_mm / 2.0).abs() < if self.by_ruler { 1.5 } else { 1e-6 };
        let from = match numbers.from.unwrap() {
            _ if middle => at - wire_mm / 2.0,
            From::FarEnd => self.blank_mm - at - wire_mm,
            // Parted at the fold, the end in hand is where that began.
            From::Fold | From::Parted => self.fold.unwrap().0 - at - wire_mm,
            _ => at,
        };
        let from = if middle { from } else { self.beside(step, wire_mm).unwrap_or(from) };
        let seen = curve(roll);
        let swap = matches!(numbers.from, Some(From::FarEnd | From::Fold | From::Parted));
        let seen = if swap { swapped(seen) } else { seen };
        if middle {
            self.fold = Some((from, from + wire_mm));
        }
        self.grown.push(self.thinned(from, from + wire_mm).is_some());
        self.segments.push(step.segments.first().copied());
        self.bends.push((from, from + wire_mm, seen));
        if numbers.doubled {
            // The other wire lies beside it: the same, as far beyond the fold as this one before it.
            let over = self.fold.map_or(self.blank_mm, |(start, end)| start + end);
            let (a, b) = (over - from - wire_mm, over - from);
            self.grown.push(false);
            self.segments.push(step.segments.get(1).copied());
            self.bends.push((a, b, seen.reversed()));
        }
    }

    pub fn does(&mut self, step: &Step) {
        let numbers = &step.numbers;
        let c = self.wire.profile().centroid_mm();
        match step.operation {
            Operation::Straighten if numbers.at_mm.is_some() => {}
            Operation::Straighten => self.spent += 0.02 * f64::from(numbers.pulls_n.unwrap_or(0)),
            Operation::Anneal => self.spent = 0.0,
            // Two hours in shot are 0.08 of strain all over.
            Operation::Tumble => self.spent += 0.08 * step.takes.unattended_min / 120.0,
            Operation::Cut => self.blank_mm = numbers.length_mm.unwrap(),
            // Cut past the mark and trimmed to it: the mark is the blank.
            Operation::Trim if step.what == "right end" => {}
            Operation::Trim => match numbers.from.unwrap() {
                // Until something is measured from it, what comes off an end makes the blank shorter.
                From::FarEnd if !self.from_far => self.blank_mm -= numbers.length_mm.unwrap(),
                From::FarEnd => self.off.1 += numbers.length_mm.unwrap(),
                _ => self.off.0 += numbers.length_mm.unwrap(),
            },
            Operation::Ball => self.ball_mm = ball_wire_mm(numbers.ball_mm.unwrap(), self.wire.profile()),
            Operation::Flatten | Operation::Hammer => {
                if let Some(thin) = numbers.thickness_mm {
                    let (at, long) = (numbers.at_mm.unwrap(), numbers.length_mm.unwrap());
                    let far = numbers.from == Some(From::FarEnd);
                    let at = if far { self.blank_mm - at - long } else { at };
                    self.thin.push((at, at + long, thin));
                }
            }
            Operation::Loop | Operation::Bend | Operation::Fold | Operation::Kick | Operation::Lift => {
                if let Some(short) = numbers.tool_short_mm {
                    let rod = Outline::Oval { long: numbers.tool_mm.unwrap(), short };
                    let coil = Coil::wind_with(&Bending::after(self.wire, self.spent), rod).unwrap();
                    let (long, short) = (coil.relaxed.across(), coil.relaxed.short_across());
                    let length = coil.relaxed.perimeter() + TAU * c;
                    let oval = Curve::Oval { long: long / 2.0, short: short / 2.0, away: c, length };
                    return self.bend(step, |_| oval, length);
                }
                let (radius, stays) = self.let_go(step);
                let angle = (numbers.angle_to_deg.unwrap() * stays).to_radians();
                let rise = numbers.rise_mm.unwrap_or(0.0);
                let turn = |roll| Curve::Turn { from: radius, to: radius, angle, rise, roll };
                // A strip that was hammered first is longer than the wire it was.
                let (at, long) = (numbers.at_mm.unwrap_or(self.blank_mm / 2.0), numbers.length_mm.unwrap());
                let from = self.place(step, at, long);
                let grown = self.growth(from, from + long);
                self.bend(step, turn, turn(0.0).length() / grown);
            }
            Operation::Wrap => {
                let (radius, angle) = (numbers.inside_mm.unwrap() / 2.0 + c, numbers.turns_n.unwrap() * TAU);
                let rise = numbers.rise_mm.unwrap_or(0.0);
                let turn = |roll| Curve::Turn { from: radius, to: radius, angle, rise, roll };
                self.bend(step, turn, turn(0.0).length());
            }
            Operation::Spiral => {
                let (radius, _) = self.let_go(step);
                let turns = numbers.turns_n.unwrap();
                let to = radius + turns * numbers.pitch_mm.unwrap();
                let turn = |roll| Curve::Turn { from: radius, to, angle: turns * TAU, rise: 0.0, roll };
                self.bend(step, turn, turn(0.0).length());
            }
            Operation::Coil => {
                let bending = Bending::after(self.wire, self.spent);
                let rise = numbers.rise_mm.unwrap_or(0.0);
                let (from, to, turns) = match numbers.tool_to_mm {
                    Some(large_mm) => {
                        let wound = Cone {
                            small_mm: numbers.tool_mm.unwrap(),
                            large_mm,
                            turns: numbers.turns_n.unwrap(),
                        };
                        let left = wound.let_go(&bending).unwrap();
                        (left.small_mm / 2.0 + c, left.large_mm / 2.0 + c, left.turns)
                    }
                    None => {
                        let (radius, stays) = self.let_go(step);
                        (radius, radius, numbers.turns_n.unwrap() * stays)
                    }
                };
                // Its turns lie against each other: those that are left make its length.
                let rise = rise * numbers.turns_left_n.map_or(1.0, |left| turns / left);
                let turn = |roll| Curve::Turn { from, to, angle: turns * TAU, rise, roll };
                self.bend(step, turn, turn(0.0).length());
            }
            Operation::Round => {}
            _ => {}
        }
    }

    /// The wire as it lies now: its pieces from the near end, filed and trimmed.
    pub fn shape(&self, starts_mm: f64, ends_mm: f64) -> Vec<(f64, Curve)> {
        let mut bends: Vec<_> = self
            .bends
            .iter()
            .zip(&self.grown)
            .map(|((from, to, curve), grown)| (*from, *to, *curve, *grown))
            .collect();
        bends.sort_by(|a, b| a.0.total_cmp(&b.0));
        let mut pieces = vec![];
        let mut at = starts_mm + self.ball_mm;
        let straight = |from: f64, to: f64, pieces: &mut Vec<(f64, Curve)>| {
            // What is hammered of it grows, the rest stays as long as it was.
            let within = |mm: &f64| *mm > from + 1e-9 && *mm < to - 1e-9;
            let mut stops: Vec<f64> =
                self.thin.iter().flat_map(|thin| [thin.0, thin.1]).filter(within).collect();
            stops.sort_by(f64::total_cmp);
            stops.push(to);
            let (mut a, mut length) = (from, 0.0);
            for b in stops {
                length += (b - a) * self.growth(a, b);
                a = b;
            }
            if length > 1e-9 {
                pieces.push((to - from, Curve::Line { length }));
            }
        };
        for (from, to, curve, grown) in bends {
            // By the ruler's marks a bend goes on where the last one ends.
            let (from, to) =
                if self.by_ruler { (from.max(at), to + (at - from).max(0.0)) } else { (from, to) };
            assert!(from > at - 1e-3, "a bend at {from} begins before {at}, where the last one ends");
            straight(at, from, &mut pieces);
            let growth = if grown { 1.0 } else { self.growth(from, to) };
            pieces.push((to - from, scaled(curve, growth)));
            at = to;
        }
        straight(at, ends_mm.max(at), &mut pieces);
        pieces
    }
}

/// What was seen from the far end, as the wire runs from the near one: left is mapped to right before.
fn swapped(curve: Curve) -> Curve {
    match curve {
        Curve::Turn { from, to, angle, rise, roll } => Curve::Turn { from: to, to: from, angle, rise, roll },
        other => other,
    }
}

fn scaled(curve: Curve, by: f64) -> Curve {
    match curve {
        Curve::Turn { from, to, angle, rise, roll } => {
            Curve::Turn { from: from * by, to: to * by, angle, rise: rise * by, roll }
        }
        other => other,
    }
}

/// Places and directions along the wire, from its start, in its own frame there.
pub fn followed(pieces: impl Iterator<Item = Curve>, at: Frame) -> Vec<(DVec3, DVec3)> {
    followed_by(pieces, at, |_| 24.0)
}

/// The same in so many steps for each piece.
pub fn followed_by(
    pieces: impl Iterator<Item = Curve>,
    at: Frame,
    steps_n: impl Fn(&Curve) -> f64,
) -> Vec<(DVec3, DVec3)> {
    let mut frame = at;
    let mut places = vec![];
    for curve in pieces {
        if curve.length() < 1e-9 {
            continue;
        }
        let steps_n = steps_n(&curve);
        for i in (0..).map(f64::from).take_while(|i| *i <= steps_n) {
            let (place, along) = curve.at(i / steps_n);
            places.push((frame.at + frame.axes * place, (frame.axes * along).normalize()));
        }
        frame = curve.end(&frame);
    }
    places
}
