//! From a misfit to its likely causes.
//!
//! Each cause moves the dimensions of a piece in its own way; how, the geometry of the pattern says: the piece is laid
//! again with the cause in it. How well the best amount of each explains what was measured gives its share (Bayes, each
//! cause as likely as another before anything is measured), beside that nothing is wrong, and that it is something else. A
//! cause that leaves more than chance unexplained is not named; where none is left, two are tried together.

use std::collections::BTreeMap;

use serde::Serialize;

use super::dimension::{CheckedOf, ToMeasure, made_of, to_measure};
use super::lot::rods::RodError;
use super::lot::{Inside, inside_of};
use crate::fault::{Fault, Faults};
use crate::pattern::PatternRequest;
use crate::pattern::slipped::Slips;
use crate::piece::Piece;
use crate::ring::RingRequest;
use crate::tool::mandrel::Mandrel;
use crate::tool::workshop::Workshop;
use crate::words::length::{LengthUnit, caliper};
use crate::words::words;
use lorimant_text::{fixed, text};

words! {
    /// What a misfit can come from.
    pub enum Cause ("cause") {
        /// Wire lay beside the mark on the jaw.
        Mark = "mark-slipped";
        /// The large bend was begun elsewhere.
        Centre = "centre-off";
        /// The blank was longer or shorter.
        Blank = "blank-off";
        /// Loops were not closed.
        Open = "loops-open";
        /// The wire is thicker or thinner than its label.
        Wire = "wire-size";
        /// The wire is harder or softer than its label.
        Harder = "hardness";
        /// The rod is thicker or thinner than it is called.
        Rod = "rod-off";
    }
}

/// A cause with its amount.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct LikelyCause {
    /// The cause.
    pub cause: Cause,
    /// How much of it explains best: mm, degrees, or a share.
    pub amount: f64,
    /// How likely it is among all that were looked at, 0 to 1.
    pub share: f64,
    /// In a sentence, with its amount.
    pub text: String,
    /// What to change.
    pub change: String,
}

/// What was found.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Misfit {
    /// Causes, the likeliest first; those that hardly explain anything are left out.
    pub causes: Vec<LikelyCause>,
    /// Whether the first is surely it.
    pub sure: bool,
    /// Whether they explain it only together: then their shares say nothing.
    pub together: bool,
    /// In a sentence: what was found, and what would tell two causes apart where they are as likely.
    pub text: String,
    /// The dimension that would tell the first two apart, where one would.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub measure_next: Option<String>,
}

/// A lot surprises by more than its spread says now and then: by so many times as much, and never by less than a share.
const SURPRISES: f64 = 2.0;
const LEAST_OFF: f64 = 0.03;
/// A cause is named surely from this share on, and as probable from this.
const SURE: f64 = 0.9;
const PROBABLE: f64 = 0.6;
/// A cause explains a measurement that lies no further from what it foretells than so many standard deviations.
const EXPLAINS: f64 = 4.5;
/// Something that is none of the causes throws a dimension about so many standard deviations off.
const ELSEWHERE: f64 = 8.0;
/// Causes below this share are not named.
const NAMED: f64 = 0.04;
/// A dimension tells two causes apart when what they foretell of it lies so many standard deviations apart.
const TELLS: f64 = 2.0;

impl Cause {
    /// One standard deviation of what usually happens: mm, degrees, or a share.
    fn usual(self) -> f64 {
        match self {
            Self::Mark | Self::Centre => 0.8,
            Self::Blank => 1.0,
            Self::Open => 12.0,
            Self::Wire => 0.08,
            Self::Harder => 0.25,
            Self::Rod => 0.1,
        }
    }

    fn of_a_finding() -> &'static [Self] {
        &[Self::Mark, Self::Centre, Self::Blank, Self::Open, Self::Wire, Self::Harder]
    }

    fn of_rings() -> &'static [Self] {
        &[Self::Rod, Self::Wire, Self::Harder]
    }

    /// The slips of so much of it.
    fn slips(self, amount: f64) -> Slips {
        let none = Slips::default();
        match self {
            Self::Mark => Slips { mark_mm: amount, ..none },
            Self::Centre => Slips { centre_mm: amount, ..none },
            Self::Blank => Slips { blank_mm: amount, ..none },
            // A loop cannot be closed further than closed.
            Self::Open => Slips { open_deg: amount.max(0.0), ..none },
            Self::Wire => Slips { size: (1.0 + amount).clamp(0.5, 1.8), ..none },
            Self::Harder => Slips { flow: (1.0 + amount).clamp(0.3, 2.5), ..none },
            Self::Rod => none,
        }
    }

    fn told(self, amount: f64, unit: LengthUnit) -> String {
        let by = caliper(amount.abs(), unit);
        let per_cent = format!("{:.0} %", 100.0 * amount.abs());
        let more = amount > 0.0;
        match self {
            Self::Mark => text!("cause-mark-slipped-jaw", by, up = more),
            Self::Centre => text!(
                "cause-centre-bend-was-off-by",
                by,
                value = if more { text!("cause-far-end") } else { text!("cause-near-end") }
            ),
            Self::Blank => text!("cause-blank-was-too", by, long = more),
            Self::Open => text!("cause-loops-were-left-short-closed", amount = fixed(amount.abs(), 0)),
            Self::Wire => {
                text!("cause-wire-than-its-label-about", per_cent, thicker = more, amount = gauges(amount))
            }
            Self::Harder => text!("cause-wire-springs-back-than-planned", per_cent, more, harder = more),
            Self::Rod => {
                text!("cause-rod-than-its-label", by, thicker = more)
            }
        }
    }

    fn change(self, amount: f64, unit: LengthUnit) -> String {
        let by = caliper(amount.abs(), unit);
        let more = amount > 0.0;
        match self {
            Self::Mark => {
                text!("cause-draw-mark-again-hold-wire", by, towards_tip = more)
            }
            Self::Centre => text!(
                "cause-start-bend-nearer-press-mark",
                by,
                value = if more { text!("cause-near-end") } else { text!("cause-far-end") }
            ),
            Self::Blank => {
                text!("cause-cut-next-one-check-how", by, shorter = more)
            }
            Self::Open => text!("cause-keep-rolling-until-end-meets").to_owned(),
            Self::Wire => text!("cause-measure-wire-on-spool-enter").to_owned(),
            Self::Harder => text!("cause-measure-coil-this-lot-so").to_owned(),
            Self::Rod => text!("cause-measure-rod-where-coil-was").to_owned(),
        }
    }
}

/// A change of thickness as a share of a B&S number, in words.
fn gauges(share: f64) -> String {
    let numbers = share.abs().ln_1p() / 0.116;
    match numbers {
        n if n < 0.35 => text!("cause-third").to_owned(),
        n if n < 0.75 => text!("cause-half").to_owned(),
        n if n < 1.5 => text!("cause-whole").to_owned(),
        n => text!("cause-times-step", n = fixed(n, 0)),
    }
}

/// A sentence that goes on after a colon.
fn lower_first(sentence: &str) -> String {
    let mut letters = sentence.chars();
    letters.next().map_or_else(String::new, |first| first.to_lowercase().chain(letters).collect())
}

/// What a piece would measure with so much of a cause in it, by dimension.
struct Model<'a> {
    piece: &'a Piece,
    workshop: &'a Workshop,
    /// What other lots say of the rod.
    rod: Option<RodError>,
    dimensions: Vec<ToMeasure>,
    finding: Option<(&'a PatternRequest, crate::making::Made)>,
}

impl<'a> Model<'a> {
    fn of(
        piece: &'a Piece,
        of: CheckedOf,
        rod: Option<RodError>,
        workshop: &'a Workshop,
    ) -> Result<Self, Faults> {
        let (mut dimensions, _) = to_measure(piece, of, workshop)?;
        dimensions.retain(|one| one.kind.is_some());
        let finding = match piece {
            Piece::Finding(request) => Some((request, made_of(request, workshop)?)),
            _ => None,
        };
        Ok(Self { piece, workshop, rod, dimensions, finding })
    }

    fn causes(&self) -> &'static [Cause] {
        if self.finding.is_some() { Cause::of_a_finding() } else { Cause::of_rings() }
    }

    /// How much of a cause there is before anything is measured, and one standard deviation of that: what usually happens,
    /// or what was learned of this rod and this lot. So what was learned and what is named never contradict one another.
    fn beforehand(&self, cause: Cause) -> (f64, f64) {
        match (cause, self.rod, self.piece.wire().lot) {
            (Cause::Rod, Some(rod), _) => self.rod_beforehand(rod),
            (Cause::Harder, _, Some(lot)) => {
                (0.0, (SURPRISES * lot.spread / lot.flow).clamp(LEAST_OFF, cause.usual()))
            }
            _ => (0.0, cause.usual()),
        }
    }

    /// What the coils of other lots say of a rod, put to what a rod that is at fault is usually off by.
    fn rod_beforehand(&self, learned: RodError) -> (f64, f64) {
        let weight = |spread_mm: f64| spread_mm.powi(-2);
        let rod = self.piece.wound().map(|request| request.mandrel);
        let label = rod.map_or(0.0, |rod| weight(RodError::unknown(&rod, &self.workshop.hand).spread_mm));
        let coils = (weight(learned.spread_mm) - label).max(0.0);
        if coils <= 0.0 {
            return (0.0, Cause::Rod.usual());
        }
        let all = coils + weight(Cause::Rod.usual());
        (learned.off_mm * weight(learned.spread_mm) / all, all.powf(-0.5))
    }

    /// One standard deviation of a dimension made without any fault: a third of what the workshop lets pass.
    fn spread(&self, i: usize) -> f64 {
        let one = &self.dimensions[i];
        (one.most - one.wanted) / 3.0
    }

    /// How far each dimension is from what it should be with so much of a cause in it, mm.
    fn off(&self, cause: Cause, amount: f64) -> Vec<f64> {
        let with = match &self.finding {
            Some((request, made)) => finding_with(request, made, self.workshop, &cause.slips(amount)),
            None => rings_with(self.piece, &self.dimensions, cause, amount),
        };
        let each = |one: &ToMeasure| with.get(&one.key).map_or(0.0, |mm| mm - one.wanted);
        self.dimensions.iter().map(each).collect()
    }
}

/// What a finding measures with these slips.
fn finding_with(
    request: &PatternRequest,
    made: &crate::making::Made,
    workshop: &Workshop,
    slips: &Slips,
) -> BTreeMap<String, f64> {
    let Ok(formed) = request.form() else { return BTreeMap::new() };
    let formed = formed.by(workshop.methods);
    formed.slipped(made, slips).measures().into_iter().map(|measure| (measure.key, measure.mm)).collect()
}

/// What rings measure with so much of a cause.
fn rings_with(piece: &Piece, dimensions: &[ToMeasure], cause: Cause, amount: f64) -> BTreeMap<String, f64> {
    let Some(request) = piece.wound() else { return BTreeMap::new() };
    let flow = request.wire.lot.map_or(1.0, |lot| lot.flow);
    let (rod, size, flow) = match cause {
        Cause::Rod => (amount, 1.0, flow),
        Cause::Wire => (0.0, 1.0 + amount, flow),
        _ => (0.0, 1.0, flow * (1.0 + amount).max(0.1)),
    };
    let thickness = request.wire.profile().thickness_mm();
    let mandrel = Mandrel { diameter_mm: request.mandrel.diameter_mm + rod, ..request.mandrel.clone() };
    let request = RingRequest { mandrel, ..request };
    let each = |one: &ToMeasure| {
        let mm = match one.key.as_str() {
            "coil-inside" => inside_of(&request, Inside::Coil, flow, size),
            "ring-inside" => inside_of(&request, Inside::Ring, flow, size),
            "wire" => Some(thickness * size),
            _ => None,
        };
        Some((one.key.clone(), mm?))
    };
    dimensions.iter().filter_map(each).collect()
}

/// How well the best amount of one cause explains what was measured.
struct Fit {
    cause: Cause,
    amount: f64,
    /// Logarithm of how likely what was measured is, were this the cause.
    log: f64,
    /// How far each dimension would be, mm.
    off: Vec<f64>,
    /// How far what was measured lies from that at most, standard deviations.
    leaves: f64,
}

/// The likely causes of what a piece measured, by dimension, mm. `rod` is what other lots say of its rod, where they do.
///
/// ```
/// use std::collections::BTreeMap;
///
/// use lorimant_core::learn::cause::{Cause, causes};
/// use lorimant_core::learn::dimension::CheckedOf;
/// use lorimant_core::pattern::PatternRequest;
/// use lorimant_core::piece::Piece;
/// use lorimant_core::tool::workshop::Workshop;
///
/// // The shank a little long, the nose as much short: the bend was begun too far on.
/// let measured = BTreeMap::from([("shank_mm".into(), 15.4), ("nose_mm".into(), 5.6), ("eye_mm".into(), 4.0)]);
/// let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
/// let misfit = causes(&hook, CheckedOf::Piece, &measured, None, &Workshop::default()).unwrap();
/// assert_eq!(misfit.causes[0].cause, Cause::Centre);
/// assert!((misfit.causes[0].amount - 1.4).abs() < 0.2);
/// ```
///
/// # Errors
/// The faults of the piece; a fault where nothing was measured that a cause could move.
pub fn causes(
    piece: &Piece,
    of: CheckedOf,
    measured: &BTreeMap<String, f64>,
    rod: Option<RodError>,
    workshop: &Workshop,
) -> Result<Misfit, Faults> {
    let model = Model::of(piece, of, rod, workshop)?;
    let seen: Vec<(usize, f64)> = model
        .dimensions
        .iter()
        .enumerate()
        .filter_map(|(i, one)| Some((i, measured.get(&one.key)? - one.wanted)))
        .collect();
    if seen.is_empty() {
        let message = text!("cause-nothing-measured-yet-points-cause");
        return Err(Fault::new("measured", message).into());
    }
    let chance: f64 = -0.5 * seen.iter().map(|(i, off)| (off / model.spread(*i)).powi(2)).sum::<f64>();
    // That nothing is wrong is as likely as all causes together, before anything is measured.
    let causes_n = f64::from(u32::try_from(model.causes().len()).unwrap_or(1));
    let chance = chance + causes_n.ln();
    // That it is something else: whatever was measured is off by as much as such things are.
    let elsewhere: f64 = seen
        .iter()
        .map(|(i, off)| -0.5 * (off / (ELSEWHERE * model.spread(*i))).powi(2) - ELSEWHERE.ln())
        .sum();
    let mut fits: Vec<Fit> = model.causes().iter().map(|cause| model.fit(*cause, &seen)).collect();
    fits.sort_by(|a, b| b.log.total_cmp(&a.log));
    let best = fits.iter().map(|fit| fit.log).fold(chance.max(elsewhere), f64::max);
    let all: f64 = fits.iter().map(|fit| (fit.log - best).exp()).sum::<f64>()
        + (chance - best).exp()
        + (elsewhere - best).exp();
    let share = |log: f64| (log - best).exp() / all;
    let explains = |fit: &Fit| fit.leaves <= EXPLAINS;
    if share(chance) < 0.5 && !fits.iter().any(|fit| share(fit.log) >= NAMED && explains(fit)) {
        return Ok(model.unexplained(&seen, measured));
    }
    fits.retain(explains);
    Ok(model.told(&fits, share, share(chance), measured))
}

impl Model<'_> {
    /// The best amount of a cause by Newton's steps on what it does here, drawn towards what is usual.
    fn fit(&self, cause: Cause, seen: &[(usize, f64)]) -> Fit {
        let (known, usual) = self.beforehand(cause);
        // One-sided causes start on their side.
        let mut amount = if cause == Cause::Open { usual / 2.0 } else { known };
        let weight = |i: usize| self.spread(i).powi(-2);
        let mut bends = 0.0;
        for _ in 0..6 {
            let step = usual / 8.0;
            let (here, there) = (self.off(cause, amount), self.off(cause, amount + step));
            let slope = |i: usize| (there[i] - here[i]) / step;
            bends = seen.iter().map(|(i, _)| weight(*i) * slope(*i).powi(2)).sum::<f64>();
            let pull: f64 = seen.iter().map(|(i, off)| weight(*i) * slope(*i) * (off - here[*i])).sum();
            let by = (pull - (amount - known) / usual.powi(2)) / (bends + usual.powi(-2));
            amount += by.clamp(-2.0 * usual, 2.0 * usual);
            if cause == Cause::Open {
                amount = amount.max(0.0);
            }
            if by.abs() < 1e-3 * usual {
                break;
            }
        }
        let off = self.off(cause, amount);
        let squares: f64 = seen.iter().map(|(i, seen)| weight(*i) * (seen - off[*i]).powi(2)).sum();
        // How likely what was measured is over all amounts (Laplace): a cause that could do anything explains little.
        let log = -0.5 * (squares + ((amount - known) / usual).powi(2) + (1.0 + usual.powi(2) * bends).ln());
        let leaves =
            seen.iter().map(|(i, seen)| ((seen - off[*i]) / self.spread(*i)).abs()).fold(0.0, f64::max);
        Fit { cause, amount, log, off, leaves }
    }

    /// What to say where no cause alone explains what was measured: the two that do together, or that none does.
    fn unexplained(&self, seen: &[(usize, f64)], measured: &BTreeMap<String, f64>) -> Misfit {
        let unit = self.workshop.habits.unit;
        let mut together: Option<(f64, Fit, Fit)> = None;
        for (n, one) in self.causes().iter().enumerate() {
            for other in &self.causes()[n + 1..] {
                let (one, other) = self.both(*one, *other, seen);
                let left = |(i, seen): &(usize, f64)| (seen - one.off[*i] - other.off[*i]) / self.spread(*i);
                let leaves = seen.iter().map(|one| left(one).abs()).fold(0.0, f64::max);
                // Of those that explain it, the two that would be wrong by what is usual.
                let usual = |fit: &Fit| {
                    let (known, usual) = self.beforehand(fit.cause);
                    ((fit.amount - known) / usual).powi(2)
                };
                let strange =
                    seen.iter().map(|one| left(one).powi(2)).sum::<f64>() + usual(&one) + usual(&other);
                // Two causes can do much: what is left must be little, and more was measured than they are.
                if seen.len() > 2
                    && leaves <= EXPLAINS / 2.0
                    && together.as_ref().is_none_or(|best| strange < best.0)
                {
                    together = Some((strange, one, other));
                }
            }
        }
        let named = |fit: &Fit| LikelyCause {
            cause: fit.cause,
            amount: fit.amount,
            share: 0.5,
            text: fit.cause.told(fit.amount, unit),
            change: fit.cause.change(fit.amount, unit),
        };
        if let Some((_, one, other)) = together {
            let causes = vec![named(&one), named(&other)];
            let text =
                text!("cause-no-one-cause-explains-two", text = causes[0].text, told2 = causes[1].text);
            return Misfit { causes, sure: false, together: true, text, measure_next: None };
        }
        let next = self.dimensions.iter().find(|one| !measured.contains_key(&one.key));
        let then = match next {
            Some(one) => text!("cause-measure-as-well", what = one.what),
            None => text!("cause-measure-again-look-for-something").to_owned(),
        };
        let text = text!("cause-none-usual-causes-explains", then);
        Misfit {
            causes: vec![],
            sure: false,
            together: false,
            text,
            measure_next: next.map(|one| one.key.clone()),
        }
    }

    /// Two causes together: each fitted in turn to what the other leaves.
    fn both(&self, one: Cause, other: Cause, seen: &[(usize, f64)]) -> (Fit, Fit) {
        let without = |fit: &Fit| -> Vec<(usize, f64)> {
            seen.iter().map(|(i, off)| (*i, off - fit.off[*i])).collect()
        };
        let mut first = self.fit(one, seen);
        let mut second = self.fit(other, &without(&first));
        for _ in 0..12 {
            first = self.fit(one, &without(&second));
            second = self.fit(other, &without(&first));
        }
        (first, second)
    }

    fn told(
        &self,
        fits: &[Fit],
        share: impl Fn(f64) -> f64,
        chance: f64,
        measured: &BTreeMap<String, f64>,
    ) -> Misfit {
        let unit = self.workshop.habits.unit;
        let causes: Vec<LikelyCause> = fits
            .iter()
            .filter(|fit| share(fit.log) >= NAMED)
            .map(|fit| LikelyCause {
                cause: fit.cause,
                amount: fit.amount,
                share: share(fit.log),
                text: fit.cause.told(fit.amount, unit),
                change: fit.cause.change(fit.amount, unit),
            })
            .collect();
        let sure = causes.first().is_some_and(|first| first.share >= SURE);
        if chance >= 0.5 || causes.is_empty() {
            let text = text!("cause-as-even-as-hands-can").to_owned();
            return Misfit { causes: vec![], sure: false, together: false, text, measure_next: None };
        }
        let next = match (sure, fits) {
            (false, [first, second, ..]) if share(second.log) >= NAMED => {
                self.tells_apart(first, second, measured)
            }
            _ => None,
        };
        let text = match (sure, &causes[..]) {
            (true, [first, ..]) => text!("cause-very-likely", text = lower_first(&first.text)),
            (false, [first, ..]) if first.share >= PROBABLE => {
                text!("cause-probably", text = lower_first(&first.text))
            }
            (false, [first, second, ..]) => {
                let which = match next {
                    Some(i) => text!("cause-measure-tell-them-apart", what = self.dimensions[i].what),
                    None => text!("cause-no-other-measurement-this-piece").to_owned(),
                };
                text!("cause-two-causes-look-alike-here", cause = first.cause, cause2 = second.cause, which)
            }
            (_, [first]) => text!("cause-or-your-hands-vary-this", text = first.text),
            _ => String::new(),
        };
        Misfit {
            causes,
            sure,
            together: false,
            text,
            measure_next: next.map(|i| self.dimensions[i].key.clone()),
        }
    }

    /// The dimension, not measured yet, of which two causes foretell the most different things.
    fn tells_apart(&self, one: &Fit, other: &Fit, measured: &BTreeMap<String, f64>) -> Option<usize> {
        let apart = |i: usize| ((one.off[i] - other.off[i]) / self.spread(i)).abs();
        (0..self.dimensions.len())
            .filter(|i| !measured.contains_key(&self.dimensions[*i].key) && apart(*i) >= TELLS)
            .max_by(|a, b| apart(*a).total_cmp(&apart(*b)))
    }
}
