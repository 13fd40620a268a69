//! What a pattern writes its design into: segments, forming steps, and what is to be shown and checked.

use glam::DVec3;

use crate::fault::Fault;
use crate::making::Operation;
use crate::shape::path::Placed;
use crate::shape::{Course, Segment};
use crate::tool::mandrel::Mandrel;
use crate::wire::section::Profile;
use crate::words::length::both;
use lorimant_text::text;

use super::pull::PullPoint;
use super::{Parameter, PatternRequest};

/// The chosen values of a pattern's parameters.
pub struct Dims<'a> {
    request: &'a PatternRequest,
}

impl<'a> Dims<'a> {
    /// The values of a request.
    pub fn new(request: &'a PatternRequest) -> Self {
        Self { request }
    }

    /// The value of a parameter, by its name.
    pub fn of(&self, name: &str) -> f64 {
        debug_assert!(self.request.kind.0.parameter(name).is_some(), "{name} is not a known size");
        self.request.value(name)
    }

    /// Whether a choice is its second way.
    pub fn second(&self, name: &str) -> bool {
        self.of(name) > 0.5
    }
}

/// One forming step: what is done, to which segments.
#[derive(Debug, Clone, PartialEq)]
pub struct Forming {
    /// What is done.
    pub kind: Operation,
    /// What to.
    pub what: &'static str,
    /// The segments that have their shape afterwards.
    pub segments: Vec<usize>,
    /// A hint for this step, as a sentence.
    pub hint: &'static str,
}

/// How a dimension lies on the drawing.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum DimensionPlace {
    /// Along a straight segment.
    Along(usize),
    /// Across the inside of a turn.
    Across(usize),
    /// The same, of a turn at the piece's side: its text stands beside it.
    AcrossBeside(usize),
    /// From the start of one segment to the end of another.
    From(usize, usize),
    /// At an angle, beside its bend.
    Angle(usize),
}

/// An end face that lands on another part of the wire.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Closure {
    /// What closes.
    pub what: &'static str,
    /// Whether it is the wire's far end that lands.
    pub far_end: bool,
    /// The segment it lands on; none where it lands on the wire's other end.
    pub on: Option<usize>,
}

/// A place that other parts hang in.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Opening {
    /// What it is called.
    pub what: &'static str,
    /// Its inside, mm.
    pub inside_mm: f64,
    /// The two segments the mouth is between; none where it is closed.
    pub mouth: Option<(usize, usize)>,
}

/// A question a pattern asks of the finished shape.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum DesignCheck {
    /// Does wire of this size fit through the mouth of an opening (its place in the list)?
    Takes {
        /// Which opening.
        opening: usize,
        /// Wire of the ring it takes, mm.
        ring_mm: f64,
    },
    /// Is there enough straight stem?
    Stem {
        /// The stem.
        segment: usize,
    },
    /// Does the bore take the cord?
    Bore {
        /// Bore, mm.
        bore_mm: f64,
        /// Cord, mm.
        cord_mm: f64,
    },
    /// Would the tip catch: is it kicked outward and rounded?
    Tip {
        /// How far it is kicked, degrees.
        kick_deg: f64,
    },
    /// Can the metal be drawn into a ball?
    Melts,
}

/// A pattern's design, in the making.
#[derive(Clone)]
pub struct Design {
    /// The wire's section.
    pub profile: Profile,
    /// The wire from end to end.
    pub segments: Vec<Segment>,
    /// Forming steps in order, after cutting.
    pub steps: Vec<Forming>,
    /// Which segment stands how on the drawing: its heading in degrees.
    pub stands: (usize, f64),
    /// Dimensions to draw, by the name of their parameter.
    pub dimensions: Vec<(&'static str, DimensionPlace)>,
    /// End faces that land.
    pub closures: Vec<Closure>,
    /// Places for other parts.
    pub openings: Vec<Opening>,
    /// The bends that bear most, which are stiffened. None where nothing opens: pins, caps, wrapped loops.
    pub bears: Vec<usize>,
    /// Where its neighbours hold on; none where nothing of it opens.
    pub pull: Option<(PullPoint, PullPoint)>,
    /// Loops that are closed for good by their wraps.
    pub wrapped: Vec<usize>,
    /// Segments that are pressed against each other on purpose.
    pub pressed: Vec<(usize, usize)>,
    /// Tails to hold at the near and the far end, mm.
    pub tails_mm: (f64, f64),
    /// Further checks.
    pub asks: Vec<DesignCheck>,
    /// How many wires carry the load side by side: a number, 1 or 2.
    pub strands: f64,
    /// Whether its near end is usually formed while it hangs on the spool.
    pub on_spool: bool,
    /// What its coil is wound on where that is no rod of the workshop's: the cord it closes.
    pub own_rod: Option<Mandrel>,
}

impl Design {
    /// Centre of a ball: it has swallowed the wire's end, a little past its own surface.
    pub(super) fn ball_centre(&self, placed: &Placed, diameter_mm: f64) -> DVec3 {
        placed.start.at - placed.start.ahead() * (diameter_mm / 2.0 - self.h() / 4.0)
    }

    /// An empty design in a wire of this section.
    pub fn new(profile: Profile) -> Self {
        Self {
            profile,
            segments: vec![],
            steps: vec![],
            stands: (0, 0.0),
            dimensions: vec![],
            closures: vec![],
            openings: vec![],
            bears: vec![],
            pull: None,
            wrapped: vec![],
            pressed: vec![],
            tails_mm: (0.0, 0.0),
            asks: vec![],
            strands: 1.0,
            on_spool: false,
            own_rod: None,
        }
    }

    /// Thickness of the wire in its bends, mm.
    pub fn h(&self) -> f64 {
        self.profile.thickness_mm()
    }

    /// Mean radius of a bend of an inside diameter, mm.
    pub fn mean(&self, inside_mm: f64) -> f64 {
        inside_mm / 2.0 + self.profile.centroid_mm()
    }

    /// Lays the next stretch; gives its place in the list.
    pub fn lay(&mut self, what: &'static str, course: Course) -> usize {
        self.segments.push(Segment::new(what, course));
        self.segments.len() - 1
    }

    /// Lays a straight leg whose length follows from others.
    ///
    /// # Errors
    /// A fault at the parameter it depends on when nothing is left for it.
    pub fn leg(&mut self, what: &'static str, length_mm: f64, parameter: &str) -> Result<usize, Fault> {
        if length_mm < -1e-9 || !length_mm.is_finite() {
            let message = text!(
                "design-would-be-negative-other-parts",
                what,
                length_mm = both(length_mm),
                length_mm2 = both((-length_mm * 100.0).ceil() / 100.0)
            );
            return Err(Fault::new(format!("parameters.{parameter}"), message));
        }
        Ok(self.lay(what, Course::straight(length_mm.max(0.0))))
    }

    /// Adds a forming step.
    pub fn step(&mut self, kind: Operation, what: &'static str, segments: &[usize]) -> &mut Forming {
        self.steps.push(Forming { kind, what, segments: segments.to_vec(), hint: "" });
        let last = self.steps.len() - 1;
        &mut self.steps[last]
    }

    /// The fold in the middle of the wire, which lays its two halves beside each other; none where it is not folded so.
    pub fn fold(&self) -> Option<usize> {
        let middle = self.segments.len() / 2;
        let folded = |step: &Forming| step.kind == Operation::Fold && step.segments == [middle];
        (self.segments.len() % 2 == 1 && self.steps.iter().any(folded)).then_some(middle)
    }

    /// Two neighbours pull at it, each from within a bend or loop.
    pub fn pulled(&mut self, one: usize, other: usize) {
        self.pull = Some((PullPoint::In(one), PullPoint::In(other)));
    }

    /// Draws a parameter as a dimension.
    pub fn shows(&mut self, parameter: &'static str, lies: DimensionPlace) {
        self.dimensions.push((parameter, lies));
    }

    /// Hammers a stretch to a thickness; 0 leaves it round.
    ///
    /// # Errors
    /// A fault at the parameter when that is thicker than the wire.
    pub fn hammer(&mut self, segments: &[usize], thickness_mm: f64, parameter: &str) -> Result<(), Fault> {
        self.thinner(thickness_mm, parameter)?;
        for index in segments.iter().filter(|_| thickness_mm > 0.0) {
            self.segments[*index].flattened_mm = Some(thickness_mm);
        }
        Ok(())
    }

    /// Has an end hammered flat before it is rolled.
    pub fn flatten_first(&mut self, segment: usize, thickness_mm: Option<f64>) {
        let segment = &mut self.segments[segment];
        (segment.flattened_mm, segment.flattened_first) = (thickness_mm, thickness_mm.is_some());
    }

    /// Checks that wire can be hammered to a thickness; 0 leaves it as it is.
    ///
    /// # Errors
    /// A fault at the parameter when that is thicker than the wire.
    pub fn thinner(&self, thickness_mm: f64, parameter: &str) -> Result<(), Fault> {
        let h = self.h();
        if thickness_mm >= h {
            let message =
                text!("design-wire-thick-cannot-be-hammered", h = both(h), thickness_mm = both(thickness_mm));
            return Err(Fault::new(format!("parameters.{parameter}"), message).limit(h));
        }
        Ok(())
    }

    /// The same parameters' values must keep an order: `low` under `high`.
    ///
    /// # Errors
    /// A fault at the parameter when they do not.
    pub fn under(low: f64, high: f64, parameter: &Parameter, why: &str) -> Result<(), Fault> {
        if low <= high {
            return Ok(());
        }
        let message = text!(
            "design-too-large-enter-at-most",
            label = parameter.label,
            low = both(low),
            why,
            high = both(high)
        );
        Err(Fault::new(format!("parameters.{}", parameter.name), message).limit(high))
    }
}
