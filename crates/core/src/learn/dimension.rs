//! What can be measured of a piece, what it should be, and what to do about one that is not.

use serde::{Deserialize, Serialize};

use crate::drawing::Drawing;
use crate::fault::{Fault, Faults};
use crate::making::{Changes, Made, Operation, Step};
use crate::pattern::PatternRequest;
use crate::pattern::measure::{Measure, Measures};
use crate::piece::Piece;
use crate::ring::RingRequest;
use crate::shape::view::Side;
use crate::tool::workshop::Workshop;
use crate::words::length::{LengthUnit, caliper};
use crate::words::words;
use lorimant_text::{Text, text};

use super::lot::Inside;

words! {
    /// How a dimension is found.
    pub enum FoundWith ("found-with") {
        /// With a caliper.
        Caliper = "caliper";
        /// By eye, as a grade.
        Eye = "eye";
        /// By touch, as a grade.
        Touch = "touch";
    }
}

words! {
    /// What comes of a measurement.
    pub enum Verdict ("verdict") {
        /// It passes.
        Pass = "pass";
        /// It can be put right.
        Rework = "rework";
        /// It cannot.
        Reject = "reject";
    }
}

/// One thing to measure of a piece.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct ToMeasure {
    /// Its key; also of its line on the drawing, where it has one.
    pub key: String,
    /// What it is called.
    pub what: String,
    /// How to lay the caliper on, or what to look and feel for.
    pub how: String,
    /// With what.
    pub found: FoundWith,
    /// What kind of dimension it is; nothing for what is seen or felt.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub kind: Option<Measures>,
    /// What it should be, mm, or the grade.
    pub wanted: f64,
    /// Least that passes, mm or the grade.
    pub least: f64,
    /// Most that passes, mm or the grade.
    pub most: f64,
    /// The same in words: `5.08 mm, from 4.98 to 5.18`.
    pub text: String,
    /// How many readings make one measurement, the piece turned between them.
    pub readings_n: u32,
    /// Of what is seen or felt: its grades in words, from 0 on.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub grades: Vec<String>,
}

/// What comes of one measurement, with how.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Judged {
    /// What comes of it.
    pub verdict: Verdict,
    /// How, or where it goes.
    pub text: String,
    /// How far it is from what it should be, mm or grades.
    pub off: f64,
}

/// What is measured.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(rename_all = "kebab-case")]
pub enum CheckedOf {
    /// A coil, let go and not cut: what a lot is learned from.
    Coil,
    /// The finished pieces.
    Piece,
}

/// Everything to measure of a piece, the most telling first, and the drawing it is shown on.
///
/// ```
/// use lorimant_core::learn::dimension::{CheckedOf, to_measure};
/// use lorimant_core::pattern::PatternRequest;
/// use lorimant_core::piece::Piece;
/// use lorimant_core::tool::workshop::Workshop;
///
/// let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
/// let (list, drawing) = to_measure(&hook, CheckedOf::Piece, &Workshop::default()).unwrap();
/// // What is drawn can be measured, and each may be off by something.
/// assert!(drawing.dimensions.iter().any(|line| line.figure == list[0].key));
/// assert!(list.iter().all(|one| one.least <= one.wanted && one.wanted <= one.most && one.least < one.most));
/// ```
///
/// # Errors
/// The faults of the piece; a fault where a coil of something is asked for that is not wound.
pub fn to_measure(
    piece: &Piece,
    of: CheckedOf,
    workshop: &Workshop,
) -> Result<(Vec<ToMeasure>, Drawing), Faults> {
    match (piece, of) {
        (Piece::Rings(request), _) => of_rings(request, of, workshop),
        (Piece::Chain(request), _) => of_rings(&request.rings()?, of, workshop),
        (Piece::Finding(request), CheckedOf::Piece) => of_finding(request, workshop),
        (Piece::Finding(request), CheckedOf::Coil) => {
            let message = text!("dimension-not-coil-measure-finished-piece", name = request.kind.0.name);
            Err(Fault::new("of", message).into())
        }
    }
}

fn told(wanted: f64, least: f64, most: f64, unit: LengthUnit) -> String {
    text!(
        "dimension-from",
        wanted = caliper(wanted, unit),
        least = caliper(least.max(0.0), unit),
        most = caliper(most, unit)
    )
}

/// How a kind of dimension is measured, and how often for one figure.
fn how(kind: Measures, what: &str) -> (String, u32) {
    match kind {
        Measures::Inside => (text!("dimension-inner-jaws-across-turn-third", what), 3),
        Measures::Bend => (text!("dimension-inner-jaws-across-at-its", what), 2),
        Measures::Ball => (text!("dimension-outer-jaws-across-turn-quarter", what), 2),
        Measures::Length => (text!("dimension-outer-jaws-along-without-squeezing", what), 1),
        Measures::Gap => (text!("dimension-feel-for-with-slip-paper", what), 1),
        Measures::Wire => (text!("dimension-outer-jaws-across-wire-where").to_owned(), 2),
    }
}

fn one(measure: &Measure, around: (f64, f64), unit: LengthUnit) -> ToMeasure {
    let (how, readings_n) = how(measure.kind, &measure.what);
    let (wanted, least, most) = (measure.mm, measure.mm - around.0, measure.mm + around.1);
    ToMeasure {
        key: measure.key.clone(),
        what: measure.what.clone(),
        how,
        found: FoundWith::Caliper,
        kind: Some(measure.kind),
        wanted,
        least: least.max(0.0),
        most,
        text: told(wanted, least, most, unit),
        readings_n,
        grades: vec![],
    }
}

/// What is seen and felt rather than measured: its key, how it is found, and what each grade of it is, the first that passes.
const GRADED: [(&str, Text, FoundWith, &[Text]); 3] = [
    (
        "flatness",
        Text::named("dimension-lay-on-glass-look-along"),
        FoundWith::Eye,
        &[
            Text::named("dimension-lies-flat"),
            Text::named("dimension-rocks-little"),
            Text::named("dimension-bent"),
        ],
    ),
    (
        "burr",
        Text::named("dimension-draw-fingertip-over-every-end"),
        FoundWith::Touch,
        &[Text::named("dimension-smooth"), Text::named("dimension-catches")],
    ),
    (
        "tip",
        Text::named("dimension-draw-tip-over-back-hand"),
        FoundWith::Touch,
        &[Text::named("dimension-round"), Text::named("dimension-scratches")],
    ),
];

/// Whether a dimension is seen or felt, as a grade, rather than measured.
#[must_use]
pub fn is_graded(key: &str) -> bool {
    GRADED.iter().any(|(graded, ..)| *graded == key)
}

fn by_hand(free_end: bool) -> Vec<ToMeasure> {
    let asked = GRADED.iter().filter(|(key, ..)| free_end || *key != "tip");
    let one = |(key, how, found, grades): &(&str, Text, FoundWith, &[Text])| {
        let each: Vec<String> = grades.iter().enumerate().map(|(n, grade)| format!("{n} {grade}")).collect();
        let text = each.join(", ");
        ToMeasure {
            key: (*key).to_owned(),
            what: (*key).to_owned(),
            how: format!("{how} {text}."),
            found: *found,
            kind: None,
            wanted: 0.0,
            least: 0.0,
            most: 0.5,
            text,
            readings_n: 1,
            grades: each,
        }
    };
    asked.map(one).collect()
}

fn of_rings(
    request: &RingRequest,
    of: CheckedOf,
    workshop: &Workshop,
) -> Result<(Vec<ToMeasure>, Drawing), Faults> {
    let plan = request.plan_in(workshop)?;
    let (tolerances, unit) = (&workshop.tolerances, workshop.habits.unit);
    let mut list = vec![];
    let mut put = |key: &str, what: &str, kind, mm, around| {
        let measure = Measure { key: key.to_owned(), what: what.to_owned(), kind, mm };
        list.push(one(&measure, around, unit));
    };
    let ring = tolerances.ring_mm;
    match of {
        CheckedOf::Coil => {
            put("coil-inside", "coil", Measures::Inside, plan.coil_inside_diameter_mm, (ring, ring))
        }
        CheckedOf::Piece => {
            put("ring-inside", "ring", Measures::Inside, plan.ring_inside_diameter_mm, (ring, ring));
            put("gap-ring", text!("dimension-gap-ring"), Measures::Gap, 0.0, (0.0, tolerances.gap_mm));
        }
    }
    let wire = tolerances.wire_mm;
    put("wire", "wire", Measures::Wire, request.wire.profile().thickness_mm(), (wire, wire));
    if of == CheckedOf::Piece {
        list.extend(by_hand(false));
    }
    let sheet = request.sheet(workshop);
    let mut drawing = sheet.result.map(|worked| worked.released).unwrap_or_default();
    // The coil's own inside, where the drawing of a plan shows its rod's.
    for line in drawing.dimensions.iter_mut().filter(|line| line.figure == "coil-inside") {
        let half = plan.coil_inside_diameter_mm / 2.0;
        (line.from.y_mm, line.to.y_mm) = (-half, half);
        line.text =
            text!("dimension-coil", coil_inside_diameter_mm = caliper(plan.coil_inside_diameter_mm, unit));
    }
    Ok((list, drawing))
}

fn of_finding(request: &PatternRequest, workshop: &Workshop) -> Result<(Vec<ToMeasure>, Drawing), Faults> {
    let formed = request.form_on(workshop)?;
    let (tolerances, unit) = (&workshop.tolerances, workshop.habits.unit);
    let mut list: Vec<ToMeasure> = formed
        .measures()
        .iter()
        .map(|measure| {
            let around = match measure.kind {
                Measures::Inside | Measures::Bend | Measures::Ball => {
                    (tolerances.loop_mm, tolerances.loop_mm)
                }
                Measures::Length => (tolerances.length_mm, tolerances.length_mm),
                Measures::Gap => (measure.mm, tolerances.gap_mm),
                Measures::Wire => (tolerances.wire_mm, tolerances.wire_mm),
            };
            one(measure, around, unit)
        })
        .collect();
    let (near, far) = formed.free_ends();
    list.extend(by_hand(near || far));
    Ok((list, formed.drawn(Side::Front, unit).drawing))
}

/// The inside a lot is learned from, where this is one.
#[must_use]
pub fn teaches(key: &str) -> Option<Inside> {
    match key {
        "coil-inside" => Some(Inside::Coil),
        "ring-inside" => Some(Inside::Ring),
        _ => None,
    }
}

impl ToMeasure {
    /// The word of a grade; nothing of a length.
    #[must_use]
    pub fn grade(&self, value: f64) -> Option<&str> {
        #[expect(
            clippy::cast_possible_truncation,
            clippy::cast_sign_loss,
            reason = "a grade of three at most"
        )]
        self.grades.get(value as usize).map(String::as_str)
    }

    /// What comes of a measured value: it passes, it can be put right and how, or where it goes.
    ///
    /// ```
    /// use lorimant_core::learn::dimension::{CheckedOf, Verdict, to_measure};
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
    /// let (list, _) = to_measure(&hook, CheckedOf::Piece, &Workshop::default()).unwrap();
    /// let eye = &list[list.iter().position(|one| one.key == "eye_mm").unwrap()];
    /// assert_eq!(eye.judge(eye.wanted, &hook, &Workshop::default()).verdict, Verdict::Pass);
    /// assert_eq!(eye.judge(eye.most + 0.1, &hook, &Workshop::default()).verdict, Verdict::Rework);
    /// assert_eq!(eye.judge(eye.wanted * 3.0, &hook, &Workshop::default()).verdict, Verdict::Reject);
    /// ```
    #[must_use]
    pub fn judge(&self, value: f64, piece: &Piece, workshop: &Workshop) -> Judged {
        let off = value - self.wanted;
        if (self.least - 1e-9..=self.most + 1e-9).contains(&value) {
            return Judged { verdict: Verdict::Pass, text: text!("dimension-passes", what = self.what), off };
        }
        let unit = workshop.habits.unit;
        let large = off > 0.0;
        let by = caliper(off.abs(), unit);
        let far = off.abs() > 0.25 * self.wanted.max(2.0);
        let scrap = text!("dimension-put-in-scrap-or-keep", metal = piece.wire().metal);
        let rework = |text: String| Judged { verdict: Verdict::Rework, text, off };
        let reject = |text: String| Judged { verdict: Verdict::Reject, text: format!("{text} {scrap}"), off };
        let finding = matches!(piece, Piece::Finding(_));
        let around = caliper(std::f64::consts::PI * off.abs(), unit);
        match self.kind {
            None => rework(self.felt_wrong().to_owned()),
            Some(Measures::Gap) => rework(text!("dimension-open-sideways-go-little-past", by)),
            Some(Measures::Wire) => {
                reject(text!("dimension-wire-than-planned-another-gauge", by, thicker = large))
            }
            Some(Measures::Inside) if self.key == "coil-inside" => Judged {
                verdict: Verdict::Rework,
                text: text!("dimension-coil-than-planned-before-you", by, larger = large),
                off,
            },
            Some(_) if far => reject(text!(
                "dimension-too-far-off-fix",
                what = self.what,
                by,
                value = if large { text!("dimension-too-large") } else { text!("dimension-too-small") }
            )),
            Some(Measures::Bend) => rework(text!(
                "dimension-bend-again-on-tool-about",
                by,
                thinner = large,
                around,
                value2 =
                    if large { text!("dimension-less-wire-used") } else { text!("dimension-more-wire-used") }
            )),
            Some(Measures::Ball) if large => {
                reject(text!("dimension-too-large-cannot-shrink", what = self.what, by))
            }
            Some(Measures::Ball) => {
                rework(text!("dimension-heat-again-until-has-drawn", what = self.what, by))
            }
            Some(Measures::Inside) if finding && large => {
                rework(text!("dimension-open-trim-off-its-end", around))
            }
            Some(Measures::Inside) if finding => {
                rework(text!("dimension-open-roll-again-nearer-base", around))
            }
            Some(Measures::Inside) if large => rework(text!("dimension-open-file-or-cut-off", around)),
            Some(Measures::Inside) if off.abs() < 0.03 * self.wanted => {
                rework(text!("dimension-push-up-taper-until-has", by))
            }
            Some(Measures::Inside) => reject(text!("dimension-ring-too-small-cannot-grow", by)),
            Some(Measures::Length) if large => rework(text!("dimension-trim-off-free-end-or", by)),
            Some(Measures::Length) => {
                reject(text!("dimension-too-short-wire-cannot-be", what = self.what, by))
            }
        }
    }

    fn felt_wrong(&self) -> &'static str {
        match self.key.as_str() {
            "flatness" => {
                text!("dimension-press-flat-between-smooth-jaws")
            }
            "burr" => text!("dimension-file-end-one-way-or"),
            _ => text!("dimension-round-tip-in-cup-burr"),
        }
    }
}

/// The step that rolls a loop which is measured.
pub(super) fn rolled_by<'a>(made: &'a Made, measure: &Measure) -> Option<&'a Step> {
    let inside = |step: &Step| step.numbers.inside_mm.is_some_and(|mm| (mm - measure.mm).abs() < 1e-6);
    let rolls = |step: &&Step| step.operation == Operation::Loop && inside(step);
    made.steps.iter().find(rolls).filter(|_| measure.kind == Measures::Inside)
}

/// The piece's route run as it stands: what its steps and tools are.
pub(super) fn made_of(request: &PatternRequest, workshop: &Workshop) -> Result<Made, Faults> {
    request.form_on(workshop)?.made(&Changes::default(), workshop)
}
