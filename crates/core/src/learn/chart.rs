//! A batch against its tolerance: how even it is, what the run of it says, how many more would pass.

use serde::Serialize;

use super::measured::{self, deviation};
use crate::words::length::{LengthUnit, caliper};
use lorimant_text::{fixed, text};

/// One dimension of a batch, piece after piece.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct BatchChart {
    /// Mean, mm.
    pub mean: f64,
    /// One standard deviation from piece to piece, mm; 0 of a single one.
    pub spread: f64,
    /// Least that passes, mm or the grade.
    pub least: f64,
    /// Most that passes, mm or the grade.
    pub most: f64,
    /// Each piece in the order it was made: its number and measure.
    pub pieces: Vec<ChartedPiece>,
    /// What the run of it says, each in a sentence.
    pub signs: Vec<Sign>,
    /// How many of 20 more would pass, in words; nothing before there are five.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub would_pass: Option<String>,
}

/// One piece on a chart.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct ChartedPiece {
    /// Its number.
    pub piece_n: u32,
    /// What it measured, mm.
    pub mm: f64,
}

/// Something the run of a batch says, and of which pieces.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Sign {
    /// In a sentence, with what to look at.
    pub text: String,
    /// The pieces it is about, by number.
    pub pieces_n: Vec<u32>,
}

/// So many on one side of the middle, one after another, are no chance (1 in 256).
const ONE_SIDE: usize = 9;
/// So many each larger (or smaller) than the one before are no chance.
const RISING: usize = 6;
/// Fewer than this do not show whether every other one differs.
const LEAST_BY_TURNS: usize = 8;
/// Means further apart than so many of their standard errors are no chance, also of eight pieces (about 1 in 300).
const BY_TURNS_T: f64 = 4.5;
/// Fewer than this say little about how many more would pass.
const LEAST_FOR_MORE: usize = 5;

/// Charts one dimension of a batch.
///
/// ```
/// use lorimant_core::learn::chart::charted;
/// use lorimant_core::words::length::LengthUnit;
///
/// // Each a little larger than the one before: something is moving.
/// let pieces: Vec<_> = (1..=8_u32).map(|n| (n, 5.0 + 0.01 * f64::from(n))).collect();
/// let chart = charted("ring", &pieces, (4.9, 5.2), LengthUnit::Mm);
/// assert!(chart.signs.iter().any(|sign| sign.text.contains("each larger")));
/// ```
#[must_use]
pub fn charted(what: &str, pieces: &[(u32, f64)], (least, most): (f64, f64), unit: LengthUnit) -> BatchChart {
    let n = pieces.len();
    let values: Vec<f64> = pieces.iter().map(|(_, mm)| *mm).collect();
    let (mean, spread) = (measured::mean(&values), deviation(&values));
    BatchChart {
        mean,
        spread,
        least,
        most,
        pieces: pieces.iter().map(|(piece_n, mm)| ChartedPiece { piece_n: *piece_n, mm: *mm }).collect(),
        signs: signs(what, pieces, mean, spread, unit),
        would_pass: (n >= LEAST_FOR_MORE).then(|| told(share_passing(mean, spread, n, (least, most)))),
    }
}

/// Share of more pieces of the same making that lie within limits: normal about the mean, a little wider than what was
/// seen since the mean itself is only known so well (Student's t as a normal of the same variance).
fn share_passing(mean: f64, spread: f64, n: usize, (least, most): (f64, f64)) -> f64 {
    let n = f64::from(u32::try_from(n).unwrap_or(u32::MAX));
    let wider = ((1.0 + 1.0 / n) * (n - 1.0) / (n - 3.0).max(1.0)).sqrt();
    let spread = (spread * wider).max(1e-6);
    below((most - mean) / spread) - below((least - mean) / spread)
}

/// Share of a normal spread that lies below (Abramowitz and Stegun 26.2.17, to 1e-7).
fn below(z: f64) -> f64 {
    let t = 1.0 / (1.0 + 0.231_641_9 * z.abs());
    let sum = t
        * (0.319_381_530
            + t * (-0.356_563_782 + t * (1.781_477_937 + t * (-1.821_255_978 + t * 1.330_274_429))));
    let tail = (-0.5 * z * z).exp() / std::f64::consts::TAU.sqrt() * sum;
    if z < 0.0 { tail } else { 1.0 - tail }
}

fn told(share: f64) -> String {
    match (20.0 * share, 100.0 * share) {
        (_, of_100) if of_100 >= 99.5 => text!("chart-nearly-all-would-pass").to_owned(),
        (_, of_100) if of_100 >= 97.5 => text!("chart-100-would-pass", of_100 = fixed(of_100, 0)),
        (of_20, _) if of_20 < 0.5 => text!("chart-hardly-any-would-pass").to_owned(),
        (of_20, _) => text!("chart-20-would-pass", of_20 = fixed(of_20, 0)),
    }
}

/// What a run of pieces says that chance alone seldom would.
fn signs(what: &str, pieces: &[(u32, f64)], mean: f64, spread: f64, unit: LengthUnit) -> Vec<Sign> {
    let mut signs = vec![];
    if pieces.len() < LEAST_FOR_MORE || spread <= 0.0 {
        return signs;
    }
    let numbers = |run: &[(u32, f64)]| run.iter().map(|(n, _)| *n).collect::<Vec<_>>();
    for (i, (n, mm)) in pieces.iter().enumerate() {
        // Against all the others: one far off widens the spread it is judged by.
        let others: Vec<f64> = pieces.iter().enumerate().filter(|(j, _)| *j != i).map(|(_, p)| p.1).collect();
        let (middle, wide) = (measured::mean(&others), deviation(&others));
        if (mm - middle).abs() > 4.0 * wide.max(1e-6) {
            let text = text!(
                "chart-number-stands-out-where-others",
                n,
                mm = caliper(*mm, unit),
                middle = caliper(middle, unit)
            );
            signs.push(Sign { text, pieces_n: vec![*n] });
        }
    }
    if let Some(run) =
        longest(pieces, |a, b| (a.1 > mean) == (b.1 > mean)).filter(|run| run.len() >= ONE_SIDE)
    {
        let larger = run[0].1 > mean;
        let text = text!("chart-in-row-than-average-something", run = run.len(), larger);
        signs.push(Sign { text, pieces_n: numbers(run) });
    }
    for larger in [true, false] {
        let steady = |a: &(u32, f64), b: &(u32, f64)| if larger { b.1 > a.1 } else { b.1 < a.1 };
        if let Some(run) = longest(pieces, steady).filter(|run| run.len() >= RISING) {
            let text = text!("chart-in-row-each-than-one", run = run.len(), larger, what);
            signs.push(Sign { text, pieces_n: numbers(run) });
        }
    }
    if let Some(apart) = every_other(pieces) {
        let text = text!("chart-every-other", apart = caliper(apart, unit));
        signs.push(Sign { text, pieces_n: numbers(pieces) });
    }
    signs
}

/// How far every other piece lies from those between, mm, where that is no chance: two jaws, two hands or two ends taken by
/// turns. The means of both halves against their spread (Welch's t).
fn every_other(pieces: &[(u32, f64)]) -> Option<f64> {
    if pieces.len() < LEAST_BY_TURNS {
        return None;
    }
    let half = |from: usize| pieces.iter().skip(from).step_by(2).map(|(_, mm)| *mm).collect::<Vec<f64>>();
    let (odd, even) = (half(0), half(1));
    let share = |half: &[f64]| deviation(half).powi(2) / f64::from(u32::try_from(half.len()).unwrap_or(1));
    let apart = (measured::mean(&odd) - measured::mean(&even)).abs();
    let error = (share(&odd) + share(&even)).sqrt().max(1e-6);
    (apart / error > BY_TURNS_T).then_some(apart)
}

/// The longest stretch in which each goes with the one before.
fn longest(
    pieces: &[(u32, f64)],
    goes_with: impl Fn(&(u32, f64), &(u32, f64)) -> bool,
) -> Option<&[(u32, f64)]> {
    pieces.chunk_by(goes_with).max_by_key(|run| run.len())
}
