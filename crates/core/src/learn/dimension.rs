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

use super::lot::Inside;

words! {
    /// How a dimension is found.
    pub enum FoundWith ("way of measuring") {
        /// With a caliper.
        Caliper = "caliper", "with the caliper";
        /// By eye, as a grade.
        Eye = "eye", "by eye";
        /// By touch, as a grade.
        Touch = "touch", "by touch";
    }
}

words! {
    /// What comes of a measurement.
    pub enum Verdict ("verdict") {
        /// It passes.
        Pass = "pass", "passes";
        /// It can be put right.
        Rework = "rework", "fix it";
        /// It cannot.
        Reject = "reject", "set it apart";
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
    /// Least that passes.
    pub least: f64,
    /// Most that passes.
    pub most: f64,
    /// The same in words: `5.08 mm, from 4.98 to 5.18`.
    pub told: String,
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
    pub told: String,
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
            let said = format!("A {} is not a coil. Measure the finished piece.", request.kind.0.name);
            Err(Fault::new("of", said).into())
        }
    }
}

fn told(wanted: f64, least: f64, most: f64, unit: LengthUnit) -> String {
    format!("{}, from {} to {}", caliper(wanted, unit), caliper(least.max(0.0), unit), caliper(most, unit))
}

/// How a kind of dimension is measured, and how often for one figure.
fn how(kind: Measures, what: &str) -> (String, u32) {
    match kind {
        Measures::Inside => {
            (format!("Inner jaws across the {what}. Turn it a third each time: three readings."), 3)
        }
        Measures::Bend => (format!("Inner jaws across the {what} at its widest. Take two readings."), 2),
        Measures::Ball => {
            (format!("Outer jaws across the {what}. Turn it a quarter and read again: two readings."), 2)
        }
        Measures::Length => (format!("Outer jaws along the {what}, without squeezing."), 1),
        Measures::Gap => (
            format!(
                "Feel for the {what} with a slip of paper, or use the inner jaws. Enter 0 if you find none."
            ),
            1,
        ),
        Measures::Wire => (
            "Outer jaws across the wire where it is straight and unmarked. Turn it and read again."
                .to_owned(),
            2,
        ),
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
        told: told(wanted, least, most, unit),
        readings_n,
        grades: vec![],
    }
}

/// What is seen and felt rather than measured: its key, how it is found, and what each grade of it is, the first that passes.
const GRADED: [(&str, &str, FoundWith, &[&str]); 3] = [
    (
        "flatness",
        "Lay it on glass and look along it:",
        FoundWith::Eye,
        &["lies flat", "rocks a little", "is bent"],
    ),
    ("burr", "Draw a fingertip over every end:", FoundWith::Touch, &["smooth", "catches"]),
    ("tip", "Draw the tip over the back of the hand:", FoundWith::Touch, &["round", "scratches"]),
];

/// Whether a dimension is seen or felt, as a grade, rather than measured.
#[must_use]
pub fn is_graded(key: &str) -> bool {
    GRADED.iter().any(|(graded, ..)| *graded == key)
}

fn by_hand(free_end: bool) -> Vec<ToMeasure> {
    let asked = GRADED.iter().filter(|(key, ..)| free_end || *key != "tip");
    let one = |(key, how, found, grades): &(&str, &str, FoundWith, &[&str])| {
        let each: Vec<String> = grades.iter().enumerate().map(|(n, grade)| format!("{n} {grade}")).collect();
        let told = each.join(", ");
        ToMeasure {
            key: (*key).to_owned(),
            what: (*key).to_owned(),
            how: format!("{how} {told}."),
            found: *found,
            kind: None,
            wanted: 0.0,
            least: 0.0,
            most: 0.5,
            told,
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
            put("gap-ring", "gap of the ring", Measures::Gap, 0.0, (0.0, tolerances.gap_mm));
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
        line.text = format!("coil {}", caliper(plan.coil_inside_diameter_mm, unit));
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
            return Judged { verdict: Verdict::Pass, told: format!("The {} passes.", self.what), off };
        }
        let unit = workshop.habits.unit;
        let large = off > 0.0;
        let by = caliper(off.abs(), unit);
        let far = off.abs() > 0.25 * self.wanted.max(2.0);
        let scrap = format!("Put it in the {} scrap, or keep it for practice.", piece.wire().metal);
        let rework = |told: String| Judged { verdict: Verdict::Rework, told, off };
        let reject = |told: String| Judged { verdict: Verdict::Reject, told: format!("{told} {scrap}"), off };
        let finding = matches!(piece, Piece::Finding(_));
        let around = caliper(std::f64::consts::PI * off.abs(), unit);
        match self.kind {
            None => rework(self.felt_wrong().to_owned()),
            Some(Measures::Gap) => rework(format!(
                "Open it sideways, go a little past, come back until the ends meet. It is {by} too wide now."
            )),
            Some(Measures::Wire) => reject(format!(
                "The wire is {by} {} than planned: another gauge, or stretched. Check the spool's label.",
                if large { "thicker" } else { "thinner" }
            )),
            Some(Measures::Inside) if self.key == "coil-inside" => Judged {
                verdict: Verdict::Rework,
                told: format!(
                    "The coil is {by} {} than planned. Before you cut it, choose the rod this lot needs: \
                     see Springback.",
                    if large { "larger" } else { "smaller" }
                ),
                off,
            },
            Some(_) if far => reject(format!(
                "The {} is {by} {}: too far off to fix.",
                self.what,
                if large { "too large" } else { "too small" }
            )),
            Some(Measures::Bend) => rework(format!(
                "Bend it again on a tool about {by} {}. {around} {}, and the end moves by the same.",
                if large { "thinner" } else { "thicker" },
                if large { "less wire is used" } else { "more wire is used" }
            )),
            Some(Measures::Ball) if large => {
                reject(format!("The {} is {by} too large and cannot shrink.", self.what))
            }
            Some(Measures::Ball) => rework(format!(
                "Heat the {} again until it has drawn in enough wire: {by} is missing across it, and the \
                 piece gets shorter. Hold it in tongs and shield your eyes.",
                self.what
            )),
            Some(Measures::Inside) if finding && large => rework(format!(
                "Open it, trim {around} off its end and roll it again nearer the tip of the jaw."
            )),
            Some(Measures::Inside) if finding => rework(format!(
                "Open it and roll it again nearer the base of the jaw. It uses {around} more wire."
            )),
            Some(Measures::Inside) if large => {
                rework(format!("Open it, file or cut {around} off one end, and close it again."))
            }
            Some(Measures::Inside) if off.abs() < 0.03 * self.wanted => {
                rework(format!("Push it up a taper until it has grown {by}, then flatten it."))
            }
            Some(Measures::Inside) => reject(format!(
                "The ring is {by} too small and cannot grow that much. Use it where smaller rings go."
            )),
            Some(Measures::Length) if large => {
                rework(format!("Trim {by} off a free end, or bend it again from the next loop."))
            }
            Some(Measures::Length) => reject(format!(
                "The {} is {by} too short, and wire cannot be put back. Pair it with one as short.",
                self.what
            )),
        }
    }

    fn felt_wrong(&self) -> &'static str {
        match self.key.as_str() {
            "flatness" => {
                "Press it flat between smooth jaws, or tap it with a mallet on the block, the same on both \
                 sides."
            }
            "burr" => "File the end one way, or draw it across fine emery, until no fingertip feels it.",
            _ => "Round the tip in the cup burr, then smooth it on fine emery.",
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
