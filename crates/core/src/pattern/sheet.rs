//! Everything the drawing room shows of one request, worked out in one go.

use serde::Serialize;

use super::blank::Blank;
use super::check::Check;
use super::drawn::DrawnPiece;
use super::finished::FinishedFinding;
use super::form::FormedPiece;
use super::mark::Mark;
use super::slipped::middle_of;
use super::{Kind, PatternRequest};
use crate::drawing::Thumbnail;
use crate::fault::{Fault, Faults};
use crate::figure::Figure;
use crate::making::{Operation, Step};
use crate::ring::RingRequest;
use crate::shape::Course;
use crate::shape::view::Side;
use crate::tool::workshop::Workshop;
use crate::wire::metal::Temper;
use crate::words::length::{LengthUnit, on_ruler};
use crate::words::quoted;
use crate::words::sentence::{self, Phrase};
use lorimant_text::text;

/// How much of a sheet is worked out.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Extent {
    /// All of it.
    Whole,
    /// What is seen while a dimension is dragged: no side view, no forming stages.
    Dragged,
}

/// A segment in numbers.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct SegmentRow {
    /// What it makes.
    pub what: &'static str,
    /// How the wire runs.
    pub shape: Course,
    /// Straight wire in it, mm.
    pub length_mm: f64,
    /// Where it starts on the blank, from the left flush end, mm.
    pub from_mm: f64,
    /// Where it ends, mm.
    pub to_mm: f64,
    /// What it is hammered to, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub flattened_mm: Option<f64>,
    /// Share of the stretch the metal had left that it uses; 0 where it stays straight.
    pub strain_used: f64,
    /// The temper that forming leaves it nearest to.
    pub becomes: Temper,
}

/// A wire that lies doubled for a while, folded in its middle.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Doubled {
    /// Far end of the fold, from the left flush end, mm: how long the doubled wire is.
    pub to_mm: f64,
    /// The step that folds it, from 1.
    pub from_step_n: usize,
    /// The step that parts its halves again, from 1; none where they stay together.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub parted_step_n: Option<usize>,
}

/// What follows from a request, in numbers. Lengths in mm.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct PatternForm {
    /// Wire in the finished piece.
    pub developed_mm: f64,
    /// Straight wire to cut for one blank, rounded up to the maker's ruler.
    pub blank_mm: f64,
    /// The same, exact.
    pub blank_exact_mm: f64,
    /// The blank and what is lost or held of it.
    pub blank: Blank,
    /// How many blanks to cut.
    pub blanks_n: u32,
    /// The wire from end to end; their lengths sum to `developed_mm`.
    pub segments: Vec<SegmentRow>,
    /// Marks from the left flush end, left to right; `forming_n` is their order of forming.
    pub marks: Vec<Mark>,
    /// Where and when the wire lies doubled; none where it never does.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub doubled: Option<Doubled>,
    /// The route, operation by operation.
    pub steps: Vec<Step>,
    /// What closes, collides and fits.
    pub checks: Vec<Check>,
    /// One finished piece, grams.
    pub mass_g: f64,
    /// Height over the wire.
    pub height_mm: f64,
    /// Width over the wire.
    pub width_mm: f64,
    /// Depth over the wire.
    pub depth_mm: f64,
    /// Load at which the first bearing bend gives, N; none where nothing bears. An estimate.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub opens_n: Option<f64>,
}

/// Everything the drawing room shows of one request.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct PatternSheet {
    /// The request as understood.
    pub request: PatternRequest,
    /// Its sentence.
    pub sentence: Vec<Phrase>,
    /// The sentence as plain text.
    pub text: String,
    /// What is wrong with it; then there is nothing below.
    pub faults: Vec<Fault>,
    /// What follows from it.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub result: Option<PatternWorked>,
}

/// What follows from a request that can be made.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct PatternWorked {
    /// In numbers.
    pub form: PatternForm,
    /// Figures with their working.
    pub figures: Vec<Figure>,
    /// The finished piece from the front, with dimensions.
    pub front: DrawnPiece,
    /// The finished piece from the side; empty where only what is seen while dragging was asked for.
    pub side: DrawnPiece,
    /// The piece after each step, cutting first; as many as there are steps, or none where they were
    /// not asked for.
    pub stages: Vec<DrawnPiece>,
    /// The ring plan that winds as many of it at once: none of what is no ring.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub wound_as: Option<RingRequest>,
    /// Its marks as they are measured off, each with the end it is measured from where that is the right: `28 mm, 45.5 mm`;
    /// empty where none is.
    pub marks_text: String,
    /// Thickness of the wire in its bends, mm.
    pub thickness_mm: f64,
    /// Colour of the bare metal, `#rrggbb`.
    pub colour: String,
}

impl FinishedFinding<'_> {
    /// The piece in numbers.
    #[must_use]
    pub fn in_numbers(&self, workshop: &Workshop) -> PatternForm {
        let Self { formed, blank, spans, .. } = self;
        let size = formed.extent.size();
        let segments = formed.design.segments.iter().zip(spans).enumerate();
        let segments = segments.map(|(i, (segment, (from, to)))| SegmentRow {
            what: segment.what,
            shape: segment.course,
            length_mm: formed.wire_mm.get(i).copied().unwrap_or(0.0),
            from_mm: *from,
            to_mm: *to,
            flattened_mm: segment.flattened_mm,
            strain_used: self.strain_used(i),
            becomes: self.becomes(i),
        });
        PatternForm {
            developed_mm: blank.developed_mm,
            blank_mm: blank.cut_mm,
            blank_exact_mm: blank.exact_mm,
            blank: *blank,
            blanks_n: formed.request.blanks_n(),
            segments: segments.collect(),
            marks: self.marks.clone(),
            doubled: self.doubled(),
            steps: self.made.steps.clone(),
            checks: self.checks(workshop),
            mass_g: formed.request.wire.mass_g(blank.developed_mm),
            height_mm: size.y,
            width_mm: size.x,
            depth_mm: size.z,
            opens_n: self.holds().filter(|holds| !holds.closed).map(|holds| holds.pulls_open_n),
        }
    }

    fn doubled(&self) -> Option<Doubled> {
        let (fold, segment) = middle_of(&self.made)?;
        let parts = |step: &&Step| step.operation == Operation::Part;
        Some(Doubled {
            to_mm: self.spans.get(segment)?.1,
            from_step_n: fold + 1,
            parted_step_n: self.made.steps.iter().find(parts).map(|step| step.step_n),
        })
    }

    fn worked_out(&self, workshop: &Workshop, extent: Extent) -> PatternWorked {
        let (unit, formed) = (workshop.habits.unit, &self.formed);
        let whole = extent == Extent::Whole;
        let mut front = formed.drawn(Side::Front, unit);
        if let Some(finished) = self.made.finished() {
            front.tint(finished, &self.spans);
        }
        let form = self.in_numbers(workshop);
        let marks: Vec<String> = measured(&form.marks).map(Mark::place_told).collect();
        PatternWorked {
            figures: self.figures(workshop),
            front,
            side: if whole { formed.drawn(Side::Right, unit) } else { DrawnPiece::default() },
            stages: if whole { formed.stages(&self.made.steps) } else { vec![] },
            wound_as: if whole { formed.request.as_coil(workshop) } else { None },
            thickness_mm: formed.design.profile.thickness_mm(),
            colour: formed.request.wire.metal.figures().colour.to_owned(),
            marks_text: marks.join(", "),
            form,
        }
    }
}

impl PatternRequest {
    /// Lays the wire and checks that the plier asked for is in the workshop.
    ///
    /// # Errors
    /// As [`PatternRequest::form`]; and a fault at `plier` when the workshop has none of that name.
    pub fn form_with(&self, workshop: &Workshop) -> Result<FormedPiece<'_>, Faults> {
        let formed = self.form_on(workshop)?;
        let asked = self.plier.as_deref().map(str::trim).filter(|name| !name.is_empty());
        if let Some(name) = asked.filter(|name| workshop.plier(name).is_none()) {
            let own: Vec<&str> = workshop.pliers.iter().map(|plier| plier.name.trim()).collect();
            let known = if own.is_empty() {
                text!("pattern-sheet-none-listed-under-tools-yet").to_owned()
            } else {
                text!("pattern-sheet-yours", own = own.join(", "))
            };
            return Err(Fault::new(
                "plier",
                text!("pattern-sheet-there-no-pliers-called", name = quoted(name), known),
            )
            .into());
        }
        Ok(formed)
    }

    /// Works out everything the drawing room shows.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let sheet = hook.sheet(&Workshop::default());
    /// let worked = sheet.result.unwrap();
    /// // One drawing for each step, cutting first.
    /// assert_eq!(worked.stages.len(), worked.form.steps.len());
    /// ```
    pub fn sheet(&self, workshop: &Workshop) -> PatternSheet {
        self.sheet_with(workshop, Extent::Whole)
    }

    /// The same, or only what is seen while a dimension is dragged.
    pub fn sheet_with(&self, workshop: &Workshop, extent: Extent) -> PatternSheet {
        let phrases = super::sentence::write(self, workshop.habits.unit);
        let (faults, result) = match self.finished(workshop) {
            Ok(finished) => (vec![], Some(finished.worked_out(workshop, extent))),
            Err(faults) => (faults.0, None),
        };
        PatternSheet {
            request: self.clone(),
            text: sentence::text(&phrases),
            sentence: phrases,
            faults,
            result,
        }
    }

    /// The piece as the library shows it.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// assert!(hook.thumbnail(&Workshop::default()).unwrap().cut.starts_with("cut "));
    /// ```
    ///
    /// # Errors
    /// As [`PatternRequest::form`].
    pub fn thumbnail(&self, workshop: &Workshop) -> Result<Thumbnail, Faults> {
        let unit = workshop.habits.unit;
        let FinishedFinding { formed, blank, marks, .. } = self.finished(workshop)?;
        let marks: Vec<String> = measured(&marks).map(|mark| mark_told(mark, unit)).collect();
        let marks = match marks.len() {
            0 => text!("pattern-sheet-rolled-from-end").to_owned(),
            n @ 5.. => text!("pattern-sheet-marks", n),
            _ => text!("pattern-sheet-mark-at", marks = marks.join(", ")),
        };
        let mut drawing = formed.drawn(Side::Front, unit).drawing;
        drawing.dimensions.clear();
        Ok(Thumbnail {
            drawing,
            cut: text!("pattern-sheet-cut", flush_mm = on_ruler(blank.flush_mm, unit), marks),
            wire: format!("{} {}", self.wire.metal, self.wire.size_shown(unit)),
            colour: self.wire.metal.figures().colour.to_owned(),
        })
    }
}

impl Kind {
    /// The pattern as it is usually made, drawn.
    ///
    /// # Errors
    /// None for the patterns there are; tested for each.
    pub fn usually(self, workshop: &Workshop) -> Result<Thumbnail, Faults> {
        PatternRequest::usual(self).thumbnail(workshop)
    }
}

/// The marks that are measured off, each place once: what is rolled from the very end needs none, turns are counted, and both
/// halves of a folded wire are marked alike.
pub fn measured(marks: &[Mark]) -> impl Iterator<Item = &Mark> {
    let off = |mark: &&Mark| !mark.from_end && !mark.counted;
    let told_before = move |i: usize, mark: &Mark| {
        marks.iter().take(i).filter(off).any(|before| before.place_told() == mark.place_told())
    };
    marks
        .iter()
        .enumerate()
        .filter(move |(i, mark)| off(mark) && !told_before(*i, mark))
        .map(|(_, mark)| mark)
}

/// Where a mark stands on a strip that is drawn from its left end, in few signs: `49.5`.
#[must_use]
pub fn on_strip(at_mm: f64, unit: LengthUnit) -> String {
    match unit {
        LengthUnit::Mm => on_ruler(at_mm, unit).trim_end_matches(" mm").to_owned(),
        LengthUnit::Inch => on_ruler(at_mm, unit),
    }
}

/// Where a mark stands, in the few signs of a tile: `19`, `5 from the right`.
fn mark_told(mark: &Mark, unit: LengthUnit) -> String {
    match unit {
        LengthUnit::Mm => mark.place_told().replacen(" mm", "", 1),
        LengthUnit::Inch => mark.place_told(),
    }
}
