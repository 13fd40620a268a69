//! A check: so many pieces of a batch, a coil or a trial measured, dimension by dimension, and what comes of it.
//!
//! A [`PieceCheck`] says what is measured; readings are lines that are only ever added, or set aside by the maker. Everything
//! else is read off them.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use super::cause::{Misfit, causes};
use super::dimension::{CheckedOf, FoundWith, teaches, to_measure};
use super::lot::MeasuredInside;
use super::lot::rods::RodError;
use super::measured::{CaliperReading, ReadAtPlace, agree_within_mm, counting, mean, means};
use super::pairs::{Matching, MeasuredPiece, matched_while};
use super::practice::Drill;
use super::spread::Readings;
use super::trial::Trial;
use crate::fault::{Fault, Faults, Span, check_text};
use crate::piece::Piece;
use crate::tool::hand::HandSpread;
use crate::tool::workshop::Workshop;
use crate::wire::section::Section;
use lorimant_text::{Text, text};

/// The blank of a trial and what was over.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct TrialBlank {
    /// The blank that was cut, from flush face to flush face, mm.
    pub blank_mm: f64,
    /// Wire that was over at the end, mm; negative where it was missing.
    #[serde(default)]
    pub over_mm: f64,
}

/// What is measured.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct PieceCheck {
    /// What it is called, 1 to 80 characters.
    pub name: String,
    /// The piece, as it was planned.
    pub piece: Piece,
    /// Its coil, or the finished pieces.
    pub of: CheckedOf,
    /// How many pieces are measured, 1 to 5000.
    pub pieces_n: u32,
    /// The dimensions that are measured, by key; the most telling if left out.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub keys: Vec<String>,
    /// The batch they were made in.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub batch: Option<i64>,
    /// The kept pattern they are of.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub pattern: Option<i64>,
    /// How much wire had come off the spool when it was made, mm, where that is known.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub off_spool_mm: Option<f64>,
    /// Of a trial: its blank.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub trial: Option<TrialBlank>,
    /// Of practice: the drill.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub drill: Option<Drill>,
}

/// Most pieces of one check.
const MOST_PIECES: f64 = 5000.0;

impl PieceCheck {
    /// Checks what it says.
    ///
    /// # Errors
    /// Faults of its name, piece and count; of dimensions the piece does not have; of a trial that is none.
    pub fn check(&self, workshop: &Workshop) -> Result<(), Faults> {
        let mut faults = Faults::none();
        if self.name.trim().is_empty() {
            faults.add(Fault::new("name", text!("learn-check-enter-name-for-measurement")));
        }
        faults.keep(check_text("name", text!("noun-name"), &self.name, 80));
        let count =
            Span { noun: Text::named("learn-check-number-pieces"), unit: "", least: 1.0, most: MOST_PIECES };
        faults.keep(count.check("pieces_n", f64::from(self.pieces_n)));
        if let Some(off) = self.off_spool_mm {
            let span =
                Span { noun: Text::named("learn-check-wire-off-spool"), unit: " mm", least: 0.0, most: 1e8 };
            faults.keep(span.check("off_spool_mm", off));
        }
        if let Some(trial) = self.trial {
            faults.nest("trial", Trial::from(trial).check());
            if !matches!(self.piece, Piece::Finding(_)) {
                faults.add(Fault::new("trial", text!("learn-check-trial-blanks-for-findings-only")));
            }
        }
        if let Some((list, _)) = faults.nest("piece", to_measure(&self.piece, self.of, workshop)) {
            for key in self.keys.iter().filter(|key| list.iter().all(|one| one.key != **key)) {
                let known: Vec<&str> = list.iter().map(|one| one.key.as_str()).collect();
                let message = text!(
                    "learn-check-this-piece-has-no-dimension",
                    key = crate::words::quoted(key),
                    known = known.join(", ")
                );
                faults.add(Fault::new("keys", message));
            }
        }
        faults.into_result()
    }

    /// Checks one reading before it is kept.
    ///
    /// # Errors
    /// A fault at the piece or dimension it is not of, or at a value that is none.
    pub fn may_read(&self, reading: &CaliperReading, workshop: &Workshop) -> Result<(), Faults> {
        let (list, _) = to_measure(&self.piece, self.of, workshop)?;
        let mut faults = Faults::none();
        let piece = Span {
            noun: Text::named("learn-check-piece"),
            unit: "",
            least: 1.0,
            most: f64::from(self.pieces_n),
        };
        faults.keep(piece.check("piece_n", f64::from(reading.piece_n)));
        let one = list.iter().find(|one| one.key == reading.key);
        let grades = one.map_or(0, |one| one.grades.len());
        match one.map(|one| one.found) {
            None => {
                let message = text!(
                    "learn-check-this-piece-has-no-dimension-2",
                    key = crate::words::quoted(&reading.key)
                );
                faults.add(Fault::new("key", message));
            }
            Some(FoundWith::Caliper) => {
                let span =
                    Span { noun: Text::named("learn-check-measure"), unit: " mm", least: 0.0, most: 300.0 };
                faults.keep(span.check("value", reading.value));
            }
            Some(_) => {
                let most = grades.saturating_sub(1);
                let span = Span {
                    noun: Text::named("learn-check-grade"),
                    unit: "",
                    least: 0.0,
                    most: f64::from(u32::try_from(most).unwrap_or(0)),
                };
                if faults.keep(span.check("value", reading.value)).is_some() && reading.value.fract() != 0.0 {
                    faults.add(Fault::new("value", text!("learn-check-enter-whole-number-as-grade")));
                }
            }
        }
        faults.into_result()
    }
}

/// What was read of one place: what counts, and what was set aside.
type KeptAndAside = (Vec<f64>, Vec<f64>);

/// What is learned from it.
impl PieceCheck {
    /// The insides it measured that say something of its lot, with the wire as it was really measured. Readings of one
    /// piece that disagree are each one of their own: what else is known of the lot tells which is right.
    #[must_use]
    pub fn insides(&self, readings: &[CaliperReading], hand: &HandSpread) -> Vec<MeasuredInside> {
        let Some(mut wound) = self.piece.wound() else { return vec![] };
        let of_wire = readings.iter().filter(|reading| reading.key == "wire" && !reading.excluded);
        let wires = ReadAtPlace::of(of_wire.map(|reading| reading.value).collect(), agree_within_mm(hand));
        if !wires.agreeing.is_empty() && wound.wire.section != Section::HalfRound {
            wound.wire.size_mm = wires.value();
        }
        // A piece all of whose readings were set aside is shown, and teaches nothing.
        let mut by_piece: BTreeMap<(u32, &str), KeptAndAside> = BTreeMap::new();
        for reading in readings.iter().filter(|reading| teaches(&reading.key).is_some()) {
            let (kept, aside) = by_piece.entry((reading.piece_n, &reading.key)).or_default();
            if reading.excluded { aside.push(reading.value) } else { kept.push(reading.value) }
        }
        let mut insides = vec![];
        for ((_, key), (kept, aside)) in by_piece {
            let Some(of) = teaches(key) else { continue };
            let all_aside = kept.is_empty();
            let inside = |values: &[f64]| MeasuredInside {
                wound: wound.clone(),
                of,
                inside_mm: mean(values),
                readings_n: u32::try_from(values.len()).unwrap_or(u32::MAX),
                off_spool_mm: self.off_spool_mm,
                excluded: all_aside,
            };
            let read = ReadAtPlace::of(if all_aside { aside } else { kept }, agree_within_mm(hand));
            if !read.agreeing.is_empty() {
                insides.push(inside(&read.agreeing));
            }
            insides.extend(read.odd.iter().map(|one| inside(&[*one])));
        }
        insides
    }

    /// What it says of how even the hand is: each wound piece with its readings. `check_n` tells its coil from others;
    /// checks of the same lot, rod and treatment share a `setup`.
    #[must_use]
    pub fn unevenness(
        &self,
        readings: &[CaliperReading],
        hand: &HandSpread,
        check_n: u64,
        setup: u64,
    ) -> Vec<Readings> {
        let cut = self.of == CheckedOf::Piece;
        let mut all = vec![];
        for (piece_n, by_key) in counting(readings, hand) {
            // Coils are each their own; rings of one check are taken to be of one coil.
            let coil = if cut { check_n << 16 } else { check_n << 16 | u64::from(piece_n) };
            let insides = by_key.into_iter().filter(|(key, _)| teaches(key).is_some());
            // A reading that is wrong says nothing of the hand.
            let agreeing = insides.map(|(_, read)| read.agreeing).filter(|mm| !mm.is_empty());
            all.extend(agreeing.map(|mm| Readings { coil, setup, cut, mm }));
        }
        all
    }

    /// The likely causes of a misfit, of one piece or of all on the mean. `rod` is what other lots say of its rod.
    ///
    /// # Errors
    /// As [`causes`].
    pub fn causes(
        &self,
        readings: &[CaliperReading],
        piece_n: Option<u32>,
        rod: Option<RodError>,
        workshop: &Workshop,
    ) -> Result<Misfit, Faults> {
        causes(&self.piece, self.of, &means(readings, piece_n, &workshop.hand), rod, workshop)
    }

    /// Its pieces matched into sets of `size` by these dimensions, each within its tolerance, mm, or what the workshop lets
    /// pass where none is given. Pieces that miss a dimension are left out.
    ///
    /// # Errors
    /// As [`matched_while`].
    pub fn matched(
        &self,
        readings: &[CaliperReading],
        keys: &[String],
        tolerance_mm: &[f64],
        size: usize,
        workshop: &Workshop,
        go_on: &mut dyn FnMut(f64) -> bool,
    ) -> Result<Matching, Faults> {
        let whole = |(piece_n, by_key): (u32, BTreeMap<&str, ReadAtPlace>)| {
            let mm: Option<Vec<f64>> =
                keys.iter().map(|key| by_key.get(key.as_str()).map(ReadAtPlace::value)).collect();
            Some(MeasuredPiece { piece_n, mm: mm? })
        };
        let pieces: Vec<MeasuredPiece> =
            counting(readings, &workshop.hand).into_iter().filter_map(whole).collect();
        let usual = vec![workshop.tolerances.pair_mm; keys.len()];
        matched_while(&pieces, if tolerance_mm.is_empty() { &usual } else { tolerance_mm }, size, go_on)
    }

    /// Whether it is a later trial of the same piece as another: what that has shown counts for it.
    #[must_use]
    pub fn follows(&self, before: &Self, workshop: &Workshop) -> bool {
        self.trial.is_some()
            && before.trial.is_some()
            && self.pattern == before.pattern
            && self.piece.same_in_hand(&before.piece, workshop)
    }

    /// Checks that it can be changed into another without making nonsense of what was read already.
    ///
    /// # Errors
    /// A fault where readings would come to be of another piece, or of a number there is none of.
    pub fn may_become(&self, new: &Self, readings: &[CaliperReading]) -> Result<(), Faults> {
        let mut faults = Faults::none();
        let of_any_lot = |piece: &Piece| piece.clone().with_wires(|wire| wire.lot = None);
        if !readings.is_empty() && (of_any_lot(&self.piece) != of_any_lot(&new.piece) || self.of != new.of) {
            faults.add(Fault::new("piece", text!("learn-check-its-readings-belong-piece-as")));
        }
        let last = readings.iter().map(|reading| reading.piece_n).max().unwrap_or(0);
        if last > new.pieces_n {
            let message = text!("learn-check-number-already-measured-so-there", last);
            faults.add(Fault::new("pieces_n", message));
        }
        faults.into_result()
    }
}

impl std::convert::From<TrialBlank> for Trial {
    fn from(trial: TrialBlank) -> Self {
        Self { blank_mm: trial.blank_mm, over_mm: trial.over_mm, ..Self::default() }
    }
}
