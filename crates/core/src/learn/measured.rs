//! What was read of pieces, reading by reading, and what of it counts.

use std::collections::BTreeMap;

use serde::Serialize;

use super::dimension::is_graded;
use crate::tool::hand::HandSpread;
use crate::words::length::LengthUnit;
use crate::words::scale::caliper_reading;
use crate::words::{listed, words};
use lorimant_text::text;

words! {
    /// Where a reading came from.
    pub enum ReadFrom ("read-from") {
        /// Typed, or keyed by a wedge.
        Typed = "typed";
        /// From the caliper's line.
        Caliper = "caliper";
        /// From the simulated caliper.
        Simulated = "simulated";
    }
}

/// One reading.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct CaliperReading {
    /// Its own number; 0 before it is kept.
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
    #[serde(alias = "aside")]
    pub excluded: bool,
}

/// What was read of one place of a piece, apart from what was set aside.
#[derive(Debug, Clone, Default, PartialEq)]
pub struct ReadAtPlace {
    /// Readings that agree with each other, mm, or grades; nothing where no more than half of them do.
    pub agreeing: Vec<f64>,
    /// Readings that do not, mm.
    pub odd: Vec<f64>,
}

impl ReadAtPlace {
    /// Parts readings of one place into those that agree and those that do not. Readings agree that lie no further apart
    /// than `apart_mm`; a typing error is one that disagrees with two others.
    ///
    /// ```
    /// use lorimant_core::learn::measured::ReadAtPlace;
    ///
    /// let typed = ReadAtPlace::of(vec![5.2, 52.0, 5.22], 0.2);
    /// assert_eq!((typed.agreeing, typed.odd), (vec![5.2, 5.22], vec![52.0]));
    /// // Of two that disagree nobody knows which is right.
    /// assert!(ReadAtPlace::of(vec![5.2, 52.0], 0.2).agreeing.is_empty());
    /// ```
    #[must_use]
    pub fn of(readings: Vec<f64>, apart_mm: f64) -> Self {
        let agrees = |with: f64, value: f64| (with..=with + apart_mm + 1e-9).contains(&value);
        let counted = |from: &f64| readings.iter().filter(|value| agrees(*from, **value)).count();
        let from = readings.iter().copied().max_by_key(|from| counted(from));
        match from.filter(|from| 2 * counted(from) > readings.len()) {
            Some(from) => {
                let (agreeing, odd) = readings.into_iter().partition(|value| agrees(from, *value));
                Self { agreeing, odd }
            }
            None => Self { agreeing: vec![], odd: readings },
        }
    }

    /// The mean of those that agree; of all where none do.
    #[must_use]
    pub fn value(&self) -> f64 {
        mean(if self.agreeing.is_empty() { &self.odd } else { &self.agreeing })
    }

    /// How many readings there are.
    #[must_use]
    pub fn readings_n(&self) -> u32 {
        u32::try_from(self.agreeing.len() + self.odd.len()).unwrap_or(u32::MAX)
    }

    /// What to do about readings that disagree; nothing where all agree.
    #[must_use]
    pub fn disagreement(&self, unit: LengthUnit) -> Option<String> {
        let shown = |values: &[f64]| {
            let each: Vec<String> = values.iter().map(|mm| caliper_reading(*mm, unit)).collect();
            listed(&each)
        };
        match (&self.agreeing[..], &self.odd[..]) {
            (_, []) => None,
            ([], odd) if odd.len() == 2 => {
                Some(text!("measured-disagree-take-third-reading-see", odd = shown(odd)))
            }
            ([], odd) => Some(text!("measured-disagree-set-aside-those-that", odd = shown(odd))),
            (_, [one]) => {
                Some(text!("measured-doesnt-agree-with-others-isnt", one = caliper_reading(*one, unit)))
            }
            (_, odd) => Some(text!("measured-dont-agree-with-others-arent", odd = shown(odd))),
        }
    }
}

/// How far apart readings of one place may lie and still agree, mm: round the piece its roundness shows as well; beyond
/// three times the hand's own either way it is something else.
#[must_use]
pub fn agree_within_mm(hand: &HandSpread) -> f64 {
    6.0 * hand.roundness_mm.hypot(hand.caliper_mm)
}

/// The readings that count, piece by piece and dimension by dimension.
#[must_use]
pub fn counting<'a>(
    readings: &'a [CaliperReading],
    hand: &HandSpread,
) -> BTreeMap<u32, BTreeMap<&'a str, ReadAtPlace>> {
    let mut of: BTreeMap<u32, BTreeMap<&str, Vec<f64>>> = BTreeMap::new();
    for reading in readings.iter().filter(|reading| !reading.excluded) {
        of.entry(reading.piece_n).or_default().entry(&reading.key).or_default().push(reading.value);
    }
    let within = agree_within_mm(hand);
    let placed = |(key, values)| (key, ReadAtPlace::of(values, if is_graded(key) { 0.0 } else { within }));
    of.into_iter().map(|(n, by_key)| (n, by_key.into_iter().map(placed).collect())).collect()
}

/// What each dimension measures on the mean: of one piece, or of all.
#[must_use]
pub fn means(readings: &[CaliperReading], piece_n: Option<u32>, hand: &HandSpread) -> BTreeMap<String, f64> {
    let mut of: BTreeMap<String, Vec<f64>> = BTreeMap::new();
    let counted = counting(readings, hand);
    for (_, by_key) in counted.into_iter().filter(|(n, _)| piece_n.is_none_or(|one| one == *n)) {
        for (key, read) in by_key {
            let values = if read.agreeing.is_empty() { read.odd } else { read.agreeing };
            of.entry(key.to_owned()).or_default().extend(values);
        }
    }
    of.into_iter().map(|(key, values)| (key, mean(&values))).collect()
}

/// Mean; 0 of nothing.
#[must_use]
pub fn mean(values: &[f64]) -> f64 {
    values.iter().sum::<f64>() / count(values).max(1.0)
}

/// One standard deviation about the mean, as a sample shows it; 0 of fewer than two.
///
/// ```
/// use lorimant_core::learn::measured::deviation;
///
/// assert!((deviation(&[1.0, 3.0]) - 2.0_f64.sqrt()).abs() < 1e-12);
/// assert_eq!(deviation(&[1.0]), 0.0);
/// ```
#[must_use]
pub fn deviation(values: &[f64]) -> f64 {
    (squares(values) / (count(values) - 1.0).max(1.0)).sqrt()
}

/// Sum of the squares about the mean.
#[must_use]
pub fn squares(values: &[f64]) -> f64 {
    let mean = mean(values);
    values.iter().map(|value| (value - mean).powi(2)).sum()
}

/// How many, as a number to reckon with.
#[must_use]
pub fn count(values: &[f64]) -> f64 {
    f64::from(u32::try_from(values.len()).unwrap_or(u32::MAX))
}
