//! A finding as its route ends it: whatever is said about it is read from here.

use super::PatternRequest;
use super::blank::Blank;
use super::form::FormedPiece;
use super::mark::Mark;
use super::pull::PullPoint;
use crate::fault::Faults;
use crate::making::holds::Holds;
use crate::making::workpiece::Stretch;
use crate::making::{Changes, Made, Workpiece};
use crate::shape::Course;
use crate::tool::outline::Outline;
use crate::tool::workshop::Workshop;
use crate::wire::bending::Bending;
use crate::wire::metal::Temper;
use crate::wire::opening::{Formed, Opening};

/// A finished finding, and how it came to be.
pub struct FinishedFinding<'a> {
    /// Its wire, laid as it is designed.
    pub formed: FormedPiece<'a>,
    /// What is cut for it.
    pub blank: Blank,
    /// Where each segment lies on the blank, from its left flush end, mm.
    pub spans: Vec<(f64, f64)>,
    /// The route that was run.
    pub made: Made,
    /// Where its blank is marked.
    pub marks: Vec<Mark>,
    /// Where it gives first when it is pulled; none where nothing of it bears.
    pub gives: Option<Gives>,
}

/// Where a finished finding gives first, and the load it gives at.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Gives {
    /// The segment that gives.
    pub segment: usize,
    /// Flow stress of its wire now, MPa.
    pub stress_mpa: f64,
    /// Plastic section modulus of its wire now, mm³.
    pub modulus_mm3: f64,
    /// Wires side by side that share the load.
    pub strands: f64,
    /// Arm of the pull, or mean radius of a closed loop, mm.
    pub arm_mm: f64,
    /// Number of hinges that must yield: one opens it, four draw a closed loop long.
    pub hinges: f64,
    /// What of that load opens it; nothing where it is closed for good.
    pub opening: Option<Opening>,
}

impl Gives {
    /// Plastic collapse, N: `hinges · σ · Z / arm`.
    #[must_use]
    pub fn collapse_n(&self) -> f64 {
        self.hinges * self.strands * self.stress_mpa * self.modulus_mm3 / self.arm_mm
    }

    /// What it holds.
    #[must_use]
    pub fn holds(&self) -> Holds {
        let collapse_n = self.collapse_n();
        self.opening.map_or(Holds::closed(collapse_n), |opening| Holds::open(collapse_n, opening))
    }
}

impl PatternRequest {
    /// The finished finding of this workshop: laid, cut and led through its route.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let workshop = Workshop::default();
    /// let finished = hook.finished(&workshop).unwrap();
    /// // No wire is made or lost: what is cut is in the piece or fell off on the way.
    /// let left = finished.made.finished().unwrap().length_mm;
    /// assert!((left + finished.made.lost_mm() - finished.blank.exact_mm).abs() < 1e-9);
    /// ```
    ///
    /// # Errors
    /// As [`PatternRequest::form_with`]; a fault at the change, or the step, that cannot be.
    pub fn finished(&self, workshop: &Workshop) -> Result<FinishedFinding<'_>, Faults> {
        let unit = workshop.habits.unit;
        let formed = self.form_with(workshop)?;
        let made = formed.made(&Changes::default(), workshop)?;
        let blank = formed.blank(unit);
        let spans = formed.spans(&blank);
        let marks = formed.marks(&spans, &made, unit);
        let gives = made.finished().and_then(|piece| formed.gives(piece, &spans));
        Ok(FinishedFinding { formed, blank, spans, made, marks, gives })
    }
}

impl FinishedFinding<'_> {
    /// What it holds; nothing of what does not bear.
    #[must_use]
    pub fn holds(&self) -> Option<Holds> {
        self.gives.map(|gives| gives.holds())
    }

    /// The wire of a segment as it is in the finished piece: the stretch at its middle.
    #[must_use]
    pub fn stretch(&self, segment: usize) -> Option<&Stretch> {
        self.made.finished()?.stretch_at(*self.spans.get(segment)?)
    }

    /// The greatest share of what the metal had left that a step uses in a segment; 0 where it stays straight.
    #[must_use]
    pub fn strain_used(&self, segment: usize) -> f64 {
        let steps = self.made.steps.iter().filter(|step| step.segments.contains(&segment));
        steps.filter_map(|step| step.numbers.strain_used).fold(0.0, f64::max)
    }

    /// The segment that is strained most, and the share of what the metal had left that it takes.
    #[must_use]
    pub fn tightest(&self) -> Option<(usize, f64)> {
        let all = (0..self.spans.len()).map(|i| (i, self.strain_used(i)));
        all.max_by(|a, b| a.1.total_cmp(&b.1))
    }

    /// Strain in a segment as it is finished, from dead soft.
    #[must_use]
    pub fn strain(&self, segment: usize) -> f64 {
        let sold = self.formed.request.wire.temper.strain();
        self.stretch(segment).map_or(sold, |stretch| stretch.strain)
    }

    /// The temper a segment compares to when it is finished.
    #[must_use]
    pub fn becomes(&self, segment: usize) -> Temper {
        temper_like(self.strain(segment))
    }

    /// The hardest single thing a hand does, as a multiple of bending 20 AWG soft copper.
    #[must_use]
    pub fn effort(&self) -> f64 {
        self.made.steps.iter().map(|step| step.takes.effort).fold(0.0, f64::max)
    }
}

impl FormedPiece<'_> {
    /// Where it gives first after everything that was done to it, as hard and as thick as it is now; none where nothing
    /// of it bears.
    ///
    /// Open, what gives first by the line of pull is where `σ·Z/arm` is least; how much of that opens it, [`Formed::opening`]
    /// says. Closed for good, wrapped, fused or soldered, its loops are drawn long by four hinges: `4·σ·Z/R`.
    fn gives(&self, workpiece: &Workpiece, spans: &[(f64, f64)]) -> Option<Gives> {
        let profile = self.design.profile;
        // How hard it is there, and the radius it is bent to: of an oval, at its side.
        let state = |segment: usize| {
            let there = workpiece.stretch_at(*spans.get(segment)?)?;
            Some(match self.design.segments.get(segment)?.course {
                Course::Oval { long_mm, short_mm } => {
                    let side = Outline::Oval { long: long_mm, short: short_mm }.side_radius()?;
                    (there, there.strain - workpiece.softer_at_side, Some(side + profile.centroid_mm()))
                }
                _ => (there, there.strain, self.radius_mm(segment)),
            })
        };
        let at = |segment: usize, arm_mm: f64, hinges: f64| {
            let (there, strain, _) = state(segment)?;
            Some(Gives {
                segment,
                stress_mpa: Bending::after(&self.request.wire, strain).flow.flow_stress(0.0),
                modulus_mm3: profile.hammered_modulus_mm3(there.thickness_mm),
                strands: self.design.strands,
                arm_mm,
                hinges,
                opening: None,
            })
        };
        let least =
            |all: Vec<Gives>| all.into_iter().min_by(|a, b| a.collapse_n().total_cmp(&b.collapse_n()));
        let opens = |hinges: f64| {
            least(self.arms().iter().filter_map(|(segment, arm)| at(*segment, *arm, hinges)).collect())
        };
        let drawn = |loops: Vec<usize>| {
            least(loops.into_iter().filter_map(|i| at(i, self.radius_mm(i)?, 4.0)).collect())
        };
        let last = self.design.segments.len() - 1;
        let closing: Vec<usize> =
            self.design.closures.iter().map(|closure| if closure.far_end { last } else { 0 }).collect();
        // Joined where its neighbours hang, it does not open; a hook with a soldered eye still does.
        let closed = |hold: PullPoint| match hold {
            PullPoint::At(..) => true,
            PullPoint::In(i) | PullPoint::Closed(i) => closing.contains(&i),
        };
        let both = self.design.pull.is_none_or(|(one, other)| closed(one) && closed(other));
        if workpiece.joined.is_some() && both && !closing.is_empty() {
            // A ring of several corners is drawn long as a round one would be.
            return drawn(closing).or_else(|| opens(4.0));
        }
        let opened = opens(1.0).and_then(|gives| {
            let (there, strain, radius_mm) = state(gives.segment)?;
            let formed = Formed::of(&self.request.wire, strain, radius_mm, there.thickness_mm);
            let opening = formed.opening(gives.arm_mm, gives.stress_mpa * gives.modulus_mm3);
            Some(Gives { opening: Some(opening), ..gives })
        });
        opened.or_else(|| drawn(self.design.wrapped.clone()))
    }
}

/// The temper whose strain is nearest to a strain since annealing.
fn temper_like(strain: f64) -> Temper {
    let off = |temper: &&Temper| (temper.strain() - strain).abs();
    Temper::ALL.iter().min_by(|a, b| off(a).total_cmp(&off(b))).copied().unwrap_or(Temper::Soft)
}
