//! What was read of pieces, reading by reading, and what of it counts.

use std::collections::BTreeMap;

use serde::Serialize;

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
    pub aside: bool,
}

/// The readings that count, piece by piece and dimension by dimension.
#[must_use]
pub fn counting(readings: &[CaliperReading]) -> BTreeMap<u32, BTreeMap<&str, Vec<f64>>> {
    let mut of: BTreeMap<u32, BTreeMap<&str, Vec<f64>>> = BTreeMap::new();
    for reading in readings.iter().filter(|reading| !reading.aside) {
        of.entry(reading.piece_n).or_default().entry(&reading.key).or_default().push(reading.value);
    }
    of
}

/// What each dimension measures on the mean: of one piece, or of all.
#[must_use]
pub fn means(readings: &[CaliperReading], piece_n: Option<u32>) -> BTreeMap<String, f64> {
    let mut of: BTreeMap<String, Vec<f64>> = BTreeMap::new();
    for (_, by_key) in counting(readings).into_iter().filter(|(n, _)| piece_n.is_none_or(|one| one == *n)) {
        for (key, values) in by_key {
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
