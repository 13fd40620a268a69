//! A check: so many pieces of a batch, a coil or a trial measured, dimension by dimension, and what comes of it.
//!
//! A [`PieceCheck`] says what is measured; readings are lines that are only ever added, or set aside by the maker. Everything
//! else is read off them.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use super::chart::{BatchChart, charted};
use super::dimension::{CheckedOf, FoundWith, Judged, ToMeasure, Verdict, teaches, to_measure};
use super::lot::MeasuredInside;
use super::pairs::MeasuredPiece;
use super::practice::{Drill, DrillFeedback};
use super::spread::Readings;
use super::trial::{NextBlank, Trial, next as next_blank};
use crate::drawing::Drawing;
use crate::fault::{Fault, Faults, Span, check_text};
use crate::pattern::measure::Measures;
use crate::piece::Piece;
use crate::tool::workshop::Workshop;
use crate::words::counted;
use crate::words::words;

words! {
    /// Where a reading came from.
    pub enum ReadFrom ("source of a reading") {
        /// Typed, or keyed by a wedge.
        Typed = "typed", "typed";
        /// From the caliper's line.
        Caliper = "caliper", "caliper";
        /// From the simulated caliper.
        Simulated = "simulated", "simulated caliper";
    }
}

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

/// One reading.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct CaliperReading {
    /// Its own number; 0 before it is kept.
    #[serde(default)]
    pub reading_n: i64,
    /// Which piece, from 1.
    pub piece_n: u32,
    /// Which dimension, by key.
    pub key: String,
    /// What was read, mm, or the grade.
    pub value: f64,
    /// Where it came from.
    pub from: ReadFrom,
    /// When, UTC.
    pub at: String,
    /// Whether the maker has set it aside.
    #[serde(default)]
    pub aside: bool,
}

/// One dimension of one piece, out of its readings.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct MeasuredOne {
    /// Which dimension.
    pub key: String,
    /// The mean of its readings, mm, or the grade.
    pub value: f64,
    /// How many readings.
    pub readings_n: u32,
    /// Whether the readings of it lie too far apart to be of one thing.
    pub jumpy: bool,
    /// What comes of it.
    pub judged: Judged,
}

/// A piece as far as it is measured.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct CheckedPiece {
    /// Its number.
    pub piece_n: u32,
    /// Its dimensions.
    pub measured: Vec<MeasuredOne>,
    /// The worst verdict of them.
    pub verdict: Verdict,
}

/// What to measure next.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct NextReading {
    /// Which piece.
    pub piece_n: u32,
    /// Which dimension.
    pub key: String,
    /// Which reading of it, from 1.
    pub of_readings_n: u32,
    /// In a sentence, with how.
    pub told: String,
}

/// A chart of one dimension.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct DimensionChart {
    /// Which dimension.
    pub key: String,
    /// Its chart.
    pub chart: BatchChart,
}

/// Everything a view shows of a check.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct CheckSheet {
    /// What can be measured.
    pub to_measure: Vec<ToMeasure>,
    /// Those that are, by key.
    pub keys: Vec<String>,
    /// The piece drawn, with the lines of its dimensions.
    pub drawing: Drawing,
    /// Colour of its bare metal, `#rrggbb`.
    pub colour: String,
    /// The pieces, in their order.
    pub pieces: Vec<CheckedPiece>,
    /// What to measure next; nothing once all is measured.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub next: Option<NextReading>,
    /// How it stands, in a sentence.
    pub told: String,
    /// A chart of each dimension that was measured of at least two pieces.
    pub charts: Vec<DimensionChart>,
    /// Of a trial: those that came before it, of the same pattern in the same wire, the first first.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub trials_before: Vec<Trial>,
    /// Of a trial: what to cut next.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub next_blank: Option<NextBlank>,
    /// Of a drill: how it went.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub feedback: Option<DrillFeedback>,
}

/// What was read of one place: what counts, and what was set aside.
type KeptAndAside = (Vec<f64>, Vec<f64>);

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
            faults.add(Fault::new("name", "The check has no name. Give it one, so that you find it again."));
        }
        faults.keep(check_text("name", "name", &self.name, 80));
        let count = Span { noun: "number of pieces", unit: "", least: 1.0, most: MOST_PIECES };
        faults.keep(count.check("pieces_n", f64::from(self.pieces_n)));
        if let Some(off) = self.off_spool_mm {
            let span = Span { noun: "wire off the spool", unit: " mm", least: 0.0, most: 1e8 };
            faults.keep(span.check("off_spool_mm", off));
        }
        if let Some(trial) = self.trial {
            faults.nest("trial", Trial::from(trial).check());
            if !matches!(self.piece, Piece::Finding(_)) {
                faults.add(Fault::new(
                    "trial",
                    "Only a finding is tried blank by blank. Of rings measure a coil.",
                ));
            }
        }
        if let Some((list, _)) = faults.nest("piece", to_measure(&self.piece, self.of, workshop)) {
            for key in self.keys.iter().filter(|key| list.iter().all(|one| one.key != **key)) {
                let known: Vec<&str> = list.iter().map(|one| one.key.as_str()).collect();
                let said = format!(
                    "This piece has no dimension {}. It has: {}.",
                    crate::words::quoted(key),
                    known.join(", ")
                );
                faults.add(Fault::new("keys", said));
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
        let piece = Span { noun: "piece", unit: "", least: 1.0, most: f64::from(self.pieces_n) };
        faults.keep(piece.check("piece_n", f64::from(reading.piece_n)));
        match list.iter().find(|one| one.key == reading.key).map(|one| one.found) {
            None => {
                let said = format!("This piece has no dimension {}.", crate::words::quoted(&reading.key));
                faults.add(Fault::new("key", said));
            }
            Some(FoundWith::Caliper) => {
                let span = Span { noun: "measure", unit: " mm", least: 0.0, most: 300.0 };
                faults.keep(span.check("value", reading.value));
            }
            Some(found) => {
                let most = if found == FoundWith::Eye { 2.0 } else { 1.0 };
                let span = Span { noun: "grade", unit: "", least: 0.0, most };
                if faults.keep(span.check("value", reading.value)).is_some() && reading.value.fract() != 0.0 {
                    faults.add(Fault::new("value", "A grade is a whole number."));
                }
            }
        }
        faults.into_result()
    }

    /// The dimensions that are measured: those chosen, or the most telling.
    fn chosen(&self, list: &[ToMeasure]) -> Vec<String> {
        if !self.keys.is_empty() {
            return self.keys.clone();
        }
        if let Some(drill) = self.drill {
            return vec![drill.card().key.to_owned()];
        }
        let caliper = |one: &&ToMeasure| !matches!(one.kind, None | Some(Measures::Gap));
        let all: Vec<&ToMeasure> = list.iter().filter(caliper).collect();
        let formed =
            |one: &&&ToMeasure| matches!(one.kind, Some(Measures::Inside | Measures::Bend | Measures::Ball));
        let first_formed = all.iter().find(formed).map(|one| one.key.as_str());
        // Of a trial everything says something; of a batch what is rolled and how long it is; of a coil or ring its inside.
        let telling = |one: &&&ToMeasure| match &self.piece {
            Piece::Finding(_) if self.trial.is_some() => true,
            Piece::Finding(_) => one.key == "height" || Some(one.key.as_str()) == first_formed,
            _ => one.kind == Some(Measures::Inside),
        };
        all.iter().filter(telling).map(|one| one.key.clone()).collect()
    }

    /// Everything a view shows of it. `before` are the earlier trials of the same pattern in the same wire.
    ///
    /// # Errors
    /// The faults of its piece.
    pub fn sheet(
        &self,
        readings: &[CaliperReading],
        before: &[Trial],
        workshop: &Workshop,
    ) -> Result<CheckSheet, Faults> {
        let (to_measure, drawing) = to_measure(&self.piece, self.of, workshop)?;
        let keys = self.chosen(&to_measure);
        let pieces = self.pieces(&to_measure, readings, workshop);
        let charts: Vec<DimensionChart> = to_measure
            .iter()
            .filter(|one| one.kind.is_some())
            .filter_map(|one| {
                let values = values(&pieces, &one.key);
                let chart = charted(&one.what, &values, (one.least, one.most), workshop.habits.unit);
                (values.len() > 1).then(|| DimensionChart { key: one.key.clone(), chart })
            })
            .collect();
        let next_blank = self.next_blank(&pieces, before, workshop)?;
        Ok(CheckSheet {
            next: self.next(&to_measure, &keys, &pieces),
            told: told(&pieces, self.pieces_n),
            feedback: self.feedback(&to_measure, &pieces, workshop),
            to_measure,
            keys,
            drawing,
            colour: self.piece.wire().metal.figures().colour.to_owned(),
            pieces,
            charts,
            trials_before: before.to_vec(),
            next_blank,
        })
    }

    fn pieces(
        &self,
        list: &[ToMeasure],
        readings: &[CaliperReading],
        workshop: &Workshop,
    ) -> Vec<CheckedPiece> {
        let mut of: BTreeMap<u32, BTreeMap<&str, Vec<f64>>> = BTreeMap::new();
        for reading in readings.iter().filter(|reading| !reading.aside) {
            of.entry(reading.piece_n).or_default().entry(&reading.key).or_default().push(reading.value);
        }
        let checked = of.into_iter().map(|(piece_n, by_key)| {
            let measured: Vec<MeasuredOne> = list
                .iter()
                .filter_map(|one| {
                    let all = by_key.get(one.key.as_str())?;
                    let value = all.iter().sum::<f64>() / f64::from(u32::try_from(all.len()).unwrap_or(1));
                    let (least, most) =
                        all.iter().fold((f64::MAX, f64::MIN), |(a, b), x| (a.min(*x), b.max(*x)));
                    // Round the piece its roundness shows as well; beyond three times the hand's it is something else.
                    let hand = &workshop.hand;
                    let apart = 6.0 * hand.roundness_mm.hypot(hand.caliper_mm);
                    Some(MeasuredOne {
                        key: one.key.clone(),
                        value,
                        readings_n: u32::try_from(all.len()).unwrap_or(u32::MAX),
                        jumpy: one.kind.is_some() && most - least > apart,
                        judged: one.judge(value, &self.piece, workshop),
                    })
                })
                .collect();
            let verdict = measured.iter().map(|one| one.judged.verdict).max().unwrap_or(Verdict::Pass);
            CheckedPiece { piece_n, measured, verdict }
        });
        checked.collect()
    }

    /// Piece after piece, each of the chosen dimensions as often as one figure takes.
    fn next(&self, list: &[ToMeasure], keys: &[String], pieces: &[CheckedPiece]) -> Option<NextReading> {
        (1..=self.pieces_n).find_map(|piece_n| {
            let piece = pieces.iter().find(|piece| piece.piece_n == piece_n);
            keys.iter().find_map(|key| {
                let one = list.iter().find(|one| one.key == *key)?;
                let read = piece.and_then(|piece| piece.measured.iter().find(|m| m.key == *key));
                let read_n = read.map_or(0, |measured| measured.readings_n);
                (read_n < one.readings_n).then(|| {
                    let of_n = if one.readings_n > 1 {
                        format!(" Reading {} of {}.", read_n + 1, one.readings_n)
                    } else {
                        String::new()
                    };
                    NextReading {
                        piece_n,
                        key: key.clone(),
                        of_readings_n: read_n + 1,
                        told: format!("{}{of_n}", one.how),
                    }
                })
            })
        })
    }

    fn next_blank(
        &self,
        pieces: &[CheckedPiece],
        before: &[Trial],
        workshop: &Workshop,
    ) -> Result<Option<NextBlank>, Faults> {
        let (Some(_), Piece::Finding(request)) = (self.trial, &self.piece) else { return Ok(None) };
        let mut trials = before.to_vec();
        trials.extend(self.as_trial(pieces));
        next_blank(request, &trials, workshop).map(Some)
    }

    fn as_trial(&self, pieces: &[CheckedPiece]) -> Option<Trial> {
        let got_mm = pieces.first().map(|piece| {
            let length = |one: &&MeasuredOne| !matches!(one.key.as_str(), "flatness" | "burr" | "tip");
            piece.measured.iter().filter(length).map(|one| (one.key.clone(), one.value)).collect()
        });
        Some(Trial { got_mm: got_mm.unwrap_or_default(), ..Trial::from(self.trial?) })
    }

    /// The trial it was, for those that come after it; nothing where it was none.
    #[must_use]
    pub fn trial(&self, readings: &[CaliperReading], workshop: &Workshop) -> Option<Trial> {
        let (list, _) = to_measure(&self.piece, self.of, workshop).ok()?;
        self.as_trial(&self.pieces(&list, readings, workshop))
    }

    fn feedback(
        &self,
        list: &[ToMeasure],
        pieces: &[CheckedPiece],
        workshop: &Workshop,
    ) -> Option<DrillFeedback> {
        let drill = self.drill?;
        let card = drill.card();
        let wanted = list.iter().find(|one| one.key == card.key)?.wanted;
        let measured: Vec<f64> = values(pieces, card.key).into_iter().map(|(_, mm)| mm).collect();
        drill.feedback(&measured, wanted, card.slip(workshop), workshop.habits.unit)
    }

    /// The insides it measured that say something of its lot, with the wire as it was really measured.
    #[must_use]
    pub fn insides(&self, readings: &[CaliperReading]) -> Vec<MeasuredInside> {
        let wound = match &self.piece {
            Piece::Rings(request) => request.clone(),
            Piece::Chain(chain) => match chain.rings() {
                Ok(rings) => rings,
                Err(_) => return vec![],
            },
            Piece::Finding(_) => return vec![],
        };
        let of_wire = readings.iter().filter(|reading| reading.key == "wire" && !reading.aside);
        let wires: Vec<f64> = of_wire.map(|reading| reading.value).collect();
        let mut wound = wound;
        if !wires.is_empty() && wound.wire.section != crate::wire::section::Section::HalfRound {
            wound.wire.size_mm =
                wires.iter().sum::<f64>() / f64::from(u32::try_from(wires.len()).unwrap_or(1));
        }
        // A piece all of whose readings were set aside is shown, and teaches nothing.
        let mut by_piece: BTreeMap<(u32, &str), KeptAndAside> = BTreeMap::new();
        for reading in readings.iter().filter(|reading| teaches(&reading.key).is_some()) {
            let (kept, aside) = by_piece.entry((reading.piece_n, &reading.key)).or_default();
            if reading.aside { aside.push(reading.value) } else { kept.push(reading.value) }
        }
        let mean =
            |all: &[f64]| all.iter().sum::<f64>() / f64::from(u32::try_from(all.len()).unwrap_or(1).max(1));
        by_piece
            .into_iter()
            .filter_map(|((_, key), (kept, aside))| {
                let counts = if kept.is_empty() { &aside } else { &kept };
                Some(MeasuredInside {
                    wound: wound.clone(),
                    of: teaches(key)?,
                    inside_mm: mean(counts),
                    readings_n: u32::try_from(counts.len()).unwrap_or(u32::MAX),
                    off_spool_mm: self.off_spool_mm,
                    aside: kept.is_empty(),
                })
            })
            .collect()
    }

    /// What it says of how even the hand is: each wound piece with its readings. `check_n` tells its coil from others;
    /// checks of the same lot, rod and treatment share a `setup`.
    #[must_use]
    pub fn unevenness(&self, readings: &[CaliperReading], check_n: u64, setup: u64) -> Vec<Readings> {
        let mut by_piece: BTreeMap<(u32, &str), Vec<f64>> = BTreeMap::new();
        for reading in readings.iter().filter(|one| !one.aside && teaches(&one.key).is_some()) {
            by_piece.entry((reading.piece_n, &reading.key)).or_default().push(reading.value);
        }
        let cut = self.of == CheckedOf::Piece;
        by_piece
            .into_iter()
            .map(|((piece_n, _), mm)| {
                // Coils are each their own; rings of one check are taken to be of one coil.
                let coil = if cut { check_n << 16 } else { check_n << 16 | u64::from(piece_n) };
                Readings { coil, setup, cut, mm }
            })
            .collect()
    }

    /// Its pieces as they are matched, by these dimensions; those that miss one are left out.
    #[must_use]
    pub fn measured_pieces(&self, readings: &[CaliperReading], keys: &[String]) -> Vec<MeasuredPiece> {
        let mut of: BTreeMap<u32, BTreeMap<&str, (f64, u32)>> = BTreeMap::new();
        for reading in readings.iter().filter(|reading| !reading.aside) {
            let one = of.entry(reading.piece_n).or_default().entry(&reading.key).or_default();
            *one = (one.0 + reading.value, one.1 + 1);
        }
        let whole = |(piece_n, by_key): (u32, BTreeMap<&str, (f64, u32)>)| {
            let mm: Option<Vec<f64>> =
                keys.iter().map(|key| by_key.get(key.as_str()).map(|(sum, n)| sum / f64::from(*n))).collect();
            Some(MeasuredPiece { piece_n, mm: mm? })
        };
        of.into_iter().filter_map(whole).collect()
    }
}

impl std::convert::From<TrialBlank> for Trial {
    fn from(trial: TrialBlank) -> Self {
        Self { blank_mm: trial.blank_mm, over_mm: trial.over_mm, ..Self::default() }
    }
}

/// One dimension of all pieces, in their order.
fn values(pieces: &[CheckedPiece], key: &str) -> Vec<(u32, f64)> {
    let of =
        |piece: &CheckedPiece| Some((piece.piece_n, piece.measured.iter().find(|one| one.key == key)?.value));
    pieces.iter().filter_map(of).collect()
}

fn told(pieces: &[CheckedPiece], pieces_n: u32) -> String {
    if pieces.is_empty() {
        return format!("{} to measure.", counted(pieces_n, "piece"));
    }
    let n = |verdict: Verdict| pieces.iter().filter(|piece| piece.verdict == verdict).count();
    let mut told = format!("{} of {} measured pass", n(Verdict::Pass), pieces.len());
    for (verdict, what) in [(Verdict::Rework, "to put right"), (Verdict::Reject, "to set apart")] {
        if n(verdict) > 0 {
            told.push_str(&format!(", {} {what}", n(verdict)));
        }
    }
    told.push('.');
    told
}
