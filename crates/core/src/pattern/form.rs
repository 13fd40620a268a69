//! A request laid as wire: everything else about a piece is read from this.

use std::cell::OnceCell;

use glam::DVec3;

use super::PatternRequest;
use super::design::{Design, Dims};
use crate::fault::{Fault, Faults};
use crate::making::place::Chooser;
use crate::making::{Operation, Step};
use crate::shape::path::{Frame, Path, Placed};
use crate::shape::{Course, Segment};
use crate::tool::coil::outline_for;
use crate::tool::method::Methods;
use crate::tool::outline::Outline;
use crate::tool::workshop::Workshop;
use crate::wire::bending::Bending;
use crate::wire::section::Section;
use crate::words::capital;
use lorimant_text::text;

/// A piece as it is when finished.
pub struct FormedPiece<'a> {
    /// What was asked for.
    pub request: &'a PatternRequest,
    /// Its design.
    pub design: Design,
    /// Its wire, followed through space as it stands on the drawing.
    pub path: Path,
    /// How its wire bends when it is first bent.
    pub bending: Bending,
    /// The methods it is made by.
    pub methods: Methods,
    /// Straight wire in each segment, mm.
    pub wire_mm: Vec<f64>,
    /// What the finished piece covers.
    pub extent: Extent,
    /// Centroid radius each segment's tightest bend is made to on the tool, mm, worked out when first asked for.
    wound_mm: OnceCell<Vec<Option<f64>>>,
    /// Which segments carry the pull, at which arm, worked out when first asked for.
    pub(super) arms: OnceCell<Vec<(usize, f64)>>,
}

/// What a piece covers, with the wire's thickness, mm.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Extent {
    /// Least corner.
    pub least: DVec3,
    /// Greatest corner.
    pub most: DVec3,
}

impl Extent {
    /// Width, height and depth as seen from the front, mm.
    pub fn size(&self) -> DVec3 {
        self.most - self.least
    }
}

impl PatternRequest {
    /// Lays the wire.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let formed = hook.form().unwrap();
    /// // The blank is as long as its parts.
    /// assert!((formed.wire_mm.iter().sum::<f64>() - formed.developed_mm()).abs() < 1e-12);
    /// ```
    ///
    /// # Errors
    /// Every fault of [`PatternRequest::check`]; then the first thing that cannot be made.
    pub fn form(&self) -> Result<FormedPiece<'_>, Faults> {
        self.form_as(self)
    }

    /// Lays the wire with the sizes that tools give it instead of those that were drawn.
    fn form_as(&self, sizes: &Self) -> Result<FormedPiece<'_>, Faults> {
        sizes.check()?;
        let profile = self.wire.profile();
        let mut design = Design::new(profile);
        (self.kind.0.form)(&Dims::new(sizes), &mut design)?;
        let segments = &design.segments;
        let path = self.progress(&design, segments, false);
        let finite = path.length_mm.is_finite() && segments.iter().all(|s| s.wire_mm(profile).is_finite());
        if !finite {
            return Err(Fault::new("parameters", text!("pattern-form-these-sizes-dont-work-together")).into());
        }
        self.one_way(&path)?;
        let wire_mm = segments.iter().map(|segment| segment.wire_mm(profile)).collect();
        let extent = extent(&design, &path);
        let (bending, methods) = (Bending::of(&self.wire), Methods::default());
        Ok(FormedPiece {
            request: self,
            methods,
            path,
            bending,
            wire_mm,
            design,
            extent,
            wound_mm: OnceCell::new(),
            arms: OnceCell::new(),
        })
    }

    /// The same made by these methods and with this workshop's rods: many turns are as wide as the rod leaves them, so what is
    /// wound on one that is at hand is laid and cut as that rod makes it. The play of the bore takes the difference.
    ///
    /// # Errors
    /// As [`PatternRequest::form`].
    pub fn form_on(&self, workshop: &Workshop) -> Result<FormedPiece<'_>, Faults> {
        let formed = self.form()?.by(self.methods(workshop));
        match formed.play_on_its_rod(workshop) {
            Some(play) => {
                let mut sizes = self.clone().settled();
                sizes.parameters.insert(PLAY.to_owned(), play);
                Ok(self.form_as(&sizes)?.by(self.methods(workshop)))
            }
            None => Ok(formed),
        }
    }

    /// Half-round wire lies with its flat inward; a bend the other way would turn the flat outward, which no
    /// figure here is for.
    fn one_way(&self, path: &Path) -> Result<(), Fault> {
        if self.wire.section != Section::HalfRound {
            return Ok(());
        }
        let turns = path.placed.iter().filter(|placed| placed.curve.angle() > 0.01);
        let inward = |placed: &Placed| {
            let centre = placed.centre()? - placed.start.at;
            Some((placed.start.axes.transpose() * centre).normalize_or_zero())
        };
        let mut sides = turns.filter_map(inward);
        let Some(first) = sides.next() else { return Ok(()) };
        if sides.all(|side| side.dot(first) > 0.98) {
            return Ok(());
        }
        let message =
            text!("pattern-form-bends-both-ways-flat-side", name = capital(self.kind.0.name.as_str()));
        Err(Fault::new("wire.section", message))
    }

    /// Follows segments and stands them as the pattern stands, or with the longest straight stretch
    /// level while they still are `mostly_straight`.
    fn progress(&self, design: &Design, segments: &[Segment], mostly_straight: bool) -> Path {
        let path = Path::follow(segments, design.profile, Frame::default());
        let (index, heading) =
            if mostly_straight { (longest_straight(segments), 0.0) } else { design.stands };
        let path = path.turned_so(segments, index, heading);
        if self.mirrored { path.mirrored() } else { path }
    }
}

fn straight_mm(segment: &Segment) -> Option<f64> {
    match segment.course {
        Course::Straight { length_mm } => Some(length_mm),
        _ => None,
    }
}

/// The first segment of the longest stretch that runs straight.
fn longest_straight(segments: &[Segment]) -> usize {
    let (mut best, mut best_mm) = (0, -1.0);
    let (mut first, mut run_mm) = (0, 0.0);
    for (i, segment) in segments.iter().enumerate() {
        match straight_mm(segment) {
            Some(length) => run_mm += length,
            None => (first, run_mm) = (i + 1, 0.0),
        }
        if run_mm > best_mm && straight_mm(segment).is_some() {
            (best, best_mm) = (first, run_mm);
        }
    }
    best
}

/// What a finished piece covers.
fn extent(design: &Design, path: &Path) -> Extent {
    let half = design.profile.thickness_mm() / 2.0;
    let (mut least, mut most) = (DVec3::INFINITY, DVec3::NEG_INFINITY);
    let mut cover = |at: DVec3, reach: DVec3| {
        least = least.min(at - reach);
        most = most.max(at + reach);
    };
    for placed in &path.placed {
        if let Some(Segment { course: Course::Ball { diameter_mm }, .. }) = design.segments.get(placed.index)
        {
            cover(design.ball_centre(placed, *diameter_mm), DVec3::splat(diameter_mm / 2.0));
        }
    }
    let n = path.placed.iter().filter(|placed| placed.length_mm > 0.0);
    for placed in n {
        let steps = (placed.curve.angle().to_degrees() / 3.0).ceil().clamp(1.0, 3000.0);
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "1 to 3000")]
        for i in 0..=steps as u32 {
            let (at, along) = placed.at(f64::from(i) / steps);
            let t = along.normalize_or_zero();
            // A flat-ended tube reaches sideways from its axis, not along it.
            let reach = (DVec3::ONE - t * t).max(DVec3::ZERO);
            cover(at, DVec3::new(reach.x.sqrt(), reach.y.sqrt(), reach.z.sqrt()) * half);
        }
    }
    Extent { least, most }
}

/// The parameter that says how much wider a bore is than what goes into it.
const PLAY: &str = "fit_mm";

impl FormedPiece<'_> {
    /// Play that its coil has on the rod it is wound on, mm; none where it has none, or no such rod is at hand.
    fn play_on_its_rod(&self, workshop: &Workshop) -> Option<f64> {
        let parameter = self.request.kind.0.parameter(PLAY)?;
        let coil = self.design.steps.iter().find(|step| step.kind == Operation::Coil)?;
        let segment = self.design.segments.get(*coil.segments.first()?)?;
        let bore = segment.course.tightest_mm()?;
        let left = match &self.design.own_rod {
            Some(rod) => self.leaves_mm(*coil.segments.first()?, rod.diameter_mm)?,
            None => {
                let chooser = Chooser { bending: self.bending, plier: None, workshop };
                let place = chooser.tool(segment, Operation::Coil)?.place;
                place.gives_mm.filter(|_| place.misfit.is_none())?
            }
        };
        let play = self.request.value(PLAY) + left - bore;
        (parameter.min..=parameter.max).contains(&play).then_some(play)
    }
}

impl<'a> FormedPiece<'a> {
    /// The same request laid otherwise than it was designed, with so much straight wire before each segment, mm, that the
    /// design knows nothing of.
    pub(super) fn laid_apart(&self, design: Design, apart_mm: &[f64]) -> FormedPiece<'a> {
        let mut segments = vec![];
        let mut places = vec![];
        for (i, segment) in design.segments.iter().enumerate() {
            if let Some(mm) = apart_mm.get(i).copied().filter(|mm| *mm > 0.0) {
                segments.push(Segment { course: Course::straight(mm), flattened_mm: None, ..*segment });
            }
            places.push(segments.len());
            segments.push(*segment);
        }
        let stands = (places.get(design.stands.0).copied().unwrap_or(0), design.stands.1);
        let mut path = self.request.progress(&Design { stands, ..design.clone() }, &segments, false);
        let own = places
            .iter()
            .enumerate()
            .filter_map(|(index, at)| path.placed.get(*at).map(|placed| Placed { index, ..*placed }));
        path.placed = own.collect();
        let wire_mm = design.segments.iter().map(|segment| segment.wire_mm(design.profile)).collect();
        FormedPiece {
            request: self.request,
            extent: extent(&design, &path),
            path,
            bending: Bending { profile: design.profile, ..self.bending },
            methods: self.methods,
            wire_mm,
            design,
            wound_mm: OnceCell::new(),
            arms: OnceCell::new(),
        }
    }
}

impl FormedPiece<'_> {
    /// The same piece, made by these methods.
    #[must_use]
    pub fn by(mut self, methods: Methods) -> Self {
        let wire = &self.request.wire;
        self.bending = Bending::after(wire, wire.temper.strain() + methods.straightening_strain());
        (self.methods, self.wound_mm) = (methods, OnceCell::new());
        self
    }

    /// Straight wire in the whole piece, mm.
    pub fn developed_mm(&self) -> f64 {
        self.wire_mm.iter().sum()
    }

    /// Mean radius of a segment's tightest bend, mm; none where it is straight.
    pub fn radius_mm(&self, segment: usize) -> Option<f64> {
        let segment = self.design.segments.get(segment)?;
        let inside = segment.course.tightest_mm()?;
        Some(inside / 2.0 + segment.bent_profile(self.design.profile).centroid_mm())
    }

    /// Centroid radius a segment's tightest bend is made to on the tool, mm: tighter than what is left of it. None
    /// where it is straight. A bend too wide to stay is taken as it is drawn.
    pub fn wound_mm(&self, segment: usize) -> Option<f64> {
        let all = self.wound_mm.get_or_init(|| {
            let mut known: Vec<((f64, f64), f64)> = vec![];
            let mut wound = |bending: Bending, radius: f64| {
                let asked = (bending.profile.size_mm, radius);
                let same = known.iter().find(|(one, _)| *one == asked).map(|(_, wound)| *wound);
                same.unwrap_or_else(|| {
                    let wound = bending.wound_radius(radius).unwrap_or(radius);
                    known.push((asked, wound));
                    wound
                })
            };
            let profile = self.design.profile;
            let segments = self.design.segments.iter().enumerate();
            // What is hammered afterwards grows, so it is made tighter first; what is hammered before is a thinner,
            // harder strip.
            let each = segments
                .map(|(i, s)| self.radius_mm(i).map(|r| wound(self.bending_of(i, s), r / s.opens(profile))));
            each.collect()
        });
        all.get(segment).copied().flatten()
    }

    /// How a segment bends when its turn comes: what is hammered first is a thinner strip that is harder already.
    pub(super) fn bending_of(&self, i: usize, segment: &Segment) -> Bending {
        if !segment.flattened_first {
            return self.bending;
        }
        let spent = self.bending.flow.prior_strain + self.hammered(i);
        let profile = segment.bent_profile(self.design.profile);
        Bending { profile, ..Bending::after(&self.request.wire, spent) }
    }

    fn hammered(&self, segment: usize) -> f64 {
        let h = self.design.profile.thickness_mm();
        let flattened = self.design.segments.get(segment).and_then(|s| s.flattened_mm);
        flattened.map_or(0.0, |t| (h / t).max(1.0).ln())
    }

    /// Plastic strain put into a segment by forming it: the mean of its bend as it is made, and its hammering.
    pub fn worked(&self, segment: usize) -> f64 {
        let bending = self.design.segments.get(segment).map_or(self.bending, |s| self.bending_of(segment, s));
        let bent = self.wound_mm(segment).map_or(0.0, |radius| bending.mean_strain(radius));
        bent + self.hammered(segment)
    }

    /// How a segment bears: the arm of the pull and the centroid radius it was bent to on the tool, mm, none on a
    /// flat. None for what carries no pull.
    pub fn bearing(&self, segment: usize) -> Option<(f64, Option<f64>)> {
        let arm = self.arms().iter().find(|(bearing, _)| *bearing == segment)?.1;
        let wound = match self.design.segments.get(segment)?.course {
            // Pulled along its long way an oval gives at the end of the short one, where it is bent least.
            Course::Oval { long_mm, short_mm } => {
                let side = Outline::Oval { long: long_mm, short: short_mm };
                let rod = outline_for(&self.bending, side).unwrap_or(side);
                rod.side_radius().map(|radius| radius + self.design.profile.centroid_mm())
            }
            // A straight gives as hard as the wire was sold.
            Course::Straight { .. } => None,
            _ => self.wound_mm(segment),
        };
        Some((arm, wound))
    }

    /// The wire after these steps of its route: what is not formed yet is straight.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let formed = hook.form().unwrap();
    /// // Before the first step it is a straight wire, as long as it will ever be.
    /// let straight = formed.after(&[]);
    /// assert!((straight.end.at.length() - formed.developed_mm()).abs() < 1e-6);
    /// ```
    pub fn after(&self, steps: &[Step]) -> Path {
        let design = &self.design;
        let formed = |index: usize| steps.iter().any(|step| step.segments.contains(&index));
        let segments: Vec<Segment> = design
            .segments
            .iter()
            .enumerate()
            .map(|(i, segment)| if formed(i) { *segment } else { segment.unformed(design.profile) })
            .collect();
        let large = |(i, segment): (usize, &Segment)| {
            !formed(i) && segment.curve(design.profile).angle() > std::f64::consts::FRAC_PI_3
        };
        let waiting = design.segments.iter().enumerate().any(large);
        self.request.progress(design, &segments, waiting)
    }
}
