//! Everything a view shows of a check: each piece as far as it is measured, what to measure next, and what comes of it.

use serde::Serialize;

use super::chart::{BatchChart, charted};
use super::check::PieceCheck;
use super::dimension::{Judged, ToMeasure, Verdict, is_graded, to_measure};
use super::measured::{CaliperReading, counting};
use super::practice::DrillFeedback;
use super::trial::{NextBlank, Trial, next as next_blank};
use crate::drawing::Drawing;
use crate::fault::Faults;
use crate::pattern::measure::Measures;
use crate::piece::Piece;
use crate::tool::workshop::Workshop;
use lorimant_text::text;

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
    /// What to do where its readings disagree.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub disagreement: Option<String>,
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
    pub text: String,
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
    pub text: String,
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

impl PieceCheck {
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
            text: told(&pieces, self.pieces_n),
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
        let checked = counting(readings, &workshop.hand).into_iter().map(|(piece_n, by_key)| {
            let measured: Vec<MeasuredOne> = list
                .iter()
                .filter_map(|one| {
                    let read = by_key.get(one.key.as_str())?;
                    let disagreement = read.disagreement(workshop.habits.unit);
                    Some(MeasuredOne {
                        key: one.key.clone(),
                        value: read.value(),
                        readings_n: read.readings_n(),
                        disagreement: disagreement.filter(|_| one.kind.is_some()),
                        judged: one.judge(read.value(), &self.piece, workshop),
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
                // Of two that disagree a third tells which is right.
                let undecided = read_n == 2 && read.is_some_and(|measured| measured.disagreement.is_some());
                (read_n < one.readings_n || undecided).then(|| {
                    let of_n = if read_n < one.readings_n && one.readings_n > 1 {
                        text!("learn-sheet-reading", read_n = read_n + 1, readings_n = one.readings_n)
                    } else {
                        String::new()
                    };
                    NextReading {
                        piece_n,
                        key: key.clone(),
                        of_readings_n: read_n + 1,
                        text: format!("{}{of_n}", one.how),
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
            let length = |one: &&MeasuredOne| !is_graded(&one.key);
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
}

/// One dimension of all pieces, in their order.
fn values(pieces: &[CheckedPiece], key: &str) -> Vec<(u32, f64)> {
    let of =
        |piece: &CheckedPiece| Some((piece.piece_n, piece.measured.iter().find(|one| one.key == key)?.value));
    pieces.iter().filter_map(of).collect()
}

fn told(pieces: &[CheckedPiece], pieces_n: u32) -> String {
    if pieces.is_empty() {
        return text!("learn-sheet-measure", pieces_n = text!("count-piece", n = pieces_n));
    }
    let n = |verdict: Verdict| pieces.iter().filter(|piece| piece.verdict == verdict).count();
    let mut told = text!("learn-sheet-measured-pass", pass = n(Verdict::Pass), pieces = pieces.len());
    for (verdict, what) in
        [(Verdict::Rework, text!("learn-sheet-fix")), (Verdict::Reject, text!("learn-sheet-set-apart"))]
    {
        if n(verdict) > 0 {
            told.push_str(&format!(", {} {what}", n(verdict)));
        }
    }
    told.push('.');
    told
}
