//! The hand's own spread: from what was measured, how much of the ± is metal, rod, cut and closing, hand, and caliper.
//!
//! Pieces lie in each other: readings of one piece, pieces of one coil, coils of one lot on one rod. What differs within
//! each but not within the one below is its own source (analysis of variance, nested). What was measured counts as much
//! as there is of it, beside the handbook's figure.

use serde::Serialize;

use super::check::PieceCheck;
use super::lot::wound_alike;
use super::measured::{CaliperReading, count, mean, squares};
use crate::piece::Piece;
use crate::ring::RingRequest;
use crate::tool::hand::HandSpread;
use crate::tool::workshop::Workshop;
use crate::words::length::{LengthUnit, caliper};
use crate::words::words;
use lorimant_text::{fixed, text};

words! {
    /// Where unevenness comes from.
    pub enum Source ("source") {
        /// The metal.
        Metal = "metal";
        /// The rod.
        Rod = "rod";
        /// How the coil hugs it.
        Hand = "hand";
        /// The cut and the closing.
        Cut = "cut";
        /// Reading what is not quite round.
        Reading = "reading";
    }
}

/// Readings of one piece.
#[derive(Debug, Clone, PartialEq)]
pub struct Readings {
    /// Its coil: pieces with the same number were cut from one.
    pub coil: u64,
    /// What all coils of one lot, rod and treatment share.
    pub setup: u64,
    /// Whether it was cut; otherwise the coil itself was measured.
    pub cut: bool,
    /// What was read, mm.
    pub mm: Vec<f64>,
}

/// One source as it is in this workshop.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct SourceSpread {
    /// Where the spread comes from: rod, blade, hand, caliper.
    pub source: Source,
    /// What it is called.
    pub label: String,
    /// One standard deviation here, mm.
    pub mm: f64,
    /// The same before anything was measured, mm.
    pub handbook_mm: f64,
    /// Its share of the square of the whole.
    pub share: f64,
    /// How many differences teach it; 0 where it is the handbook's.
    pub seen_n: u32,
}

/// How even this workshop is.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct OwnSpread {
    /// Its sources, the largest first.
    pub sources: Vec<SourceSpread>,
    /// The hand as it was learned, to be taken into the workshop's habits.
    pub hand: HandSpread,
    /// What would narrow it most, in a sentence.
    pub text: String,
}

/// The handbook's figure counts as much as so many differences.
const HANDBOOK_N: f64 = 6.0;

/// A mean of squares and how many differences it is of.
#[derive(Clone, Copy, Default)]
struct Squares {
    sum: f64,
    n: f64,
}

impl Squares {
    /// Of values about their own mean.
    fn of(values: &[f64]) -> Self {
        Self { sum: squares(values), n: (count(values) - 1.0).max(0.0) }
    }

    fn and(self, other: Self) -> Self {
        Self { sum: self.sum + other.sum, n: self.n + other.n }
    }

    /// The variance that is left when what lies below is taken off, with the handbook's beside it.
    fn own(self, below: f64, handbook_mm: f64) -> f64 {
        let seen = if self.n > 0.0 { (self.sum / self.n - below).max(0.0) } else { 0.0 };
        (HANDBOOK_N * handbook_mm.powi(2) + self.n * seen) / (HANDBOOK_N + self.n)
    }
}

/// Values of the same key together.
fn grouped(values: impl Iterator<Item = (u64, f64)>) -> Vec<Vec<f64>> {
    let mut groups: std::collections::BTreeMap<u64, Vec<f64>> = std::collections::BTreeMap::new();
    values.for_each(|(key, mm)| groups.entry(key).or_default().push(mm));
    groups.into_values().collect()
}

/// Learns how even the hand is from the checks of what was wound, each with its number and readings.
#[must_use]
pub fn learned_from<'a>(
    checks: impl IntoIterator<Item = (i64, &'a PieceCheck, &'a [CaliperReading])>,
    workshop: &Workshop,
) -> OwnSpread {
    let mut readings = vec![];
    let mut setups: Vec<RingRequest> = vec![];
    let mut metal_mm = 0.0_f64;
    for (check_n, check, read) in checks {
        let Piece::Rings(request) = &check.piece else { continue };
        let lot_n = |request: &RingRequest| request.wire.lot.map(|lot| lot.lot_n);
        let alike = |other: &RingRequest| lot_n(other) == lot_n(request) && wound_alike(other, request);
        let setup = setups.iter().position(alike).unwrap_or_else(|| {
            setups.push(request.clone());
            setups.len() - 1
        });
        let plan = request.clone().known(workshop).plan();
        metal_mm = metal_mm.max(plan.map_or(0.0, |plan| plan.ring_inside_spread_mm));
        readings.extend(check.unevenness(read, &workshop.hand, check_n.unsigned_abs(), setup as u64));
    }
    learned(&readings, &workshop.hand, metal_mm, workshop.habits.unit)
}

/// Learns how even the hand is. `metal_mm` is what plans leave to the metal now, one standard deviation.
///
/// ```
/// use lorimant_core::learn::spread::{Readings, Source, learned};
/// use lorimant_core::tool::hand::HandSpread;
/// use lorimant_core::words::length::LengthUnit;
///
/// // Sixty rings of one coil that differ more than the handbook thinks.
/// let wild = |i: u64| Readings { coil: 1, setup: 1, cut: true, mm: vec![5.0 + if i % 2 == 0 { 0.1 } else { -0.1 }; 2] };
/// let own = learned(&(0..60).map(wild).collect::<Vec<_>>(), &HandSpread::default(), 0.02, LengthUnit::Mm);
/// assert_eq!(own.sources[0].source, Source::Cut);
/// assert!(own.hand.closing_mm > HandSpread::default().closing_mm);
/// ```
#[must_use]
pub fn learned(readings: &[Readings], hand: &HandSpread, metal_mm: f64, unit: LengthUnit) -> OwnSpread {
    let handbook = HandSpread::default();
    let reading_0 = handbook.roundness_mm.hypot(handbook.caliper_mm);
    let cut_0 = handbook.closing_mm.hypot(handbook.kerf_mm);
    let within = readings.iter().map(|one| Squares::of(&one.mm)).fold(Squares::default(), Squares::and);
    let reading = within.own(0.0, reading_0);
    let per_piece =
        readings.iter().map(|one| one.mm.len() as f64).sum::<f64>() / (readings.len() as f64).max(1.0);
    let left = reading / per_piece.max(1.0);
    let rings = grouped(readings.iter().filter(|one| one.cut).map(|one| (one.coil, mean(&one.mm))));
    let of_coils = rings.iter().map(|pieces| Squares::of(pieces)).fold(Squares::default(), Squares::and);
    let cut = of_coils.own(left, cut_0);
    // Coils of one lot on one rod: each by its mean, whose own chance is what lies below over how many were measured.
    let mut coils: std::collections::BTreeMap<(u64, u64, bool), Vec<f64>> = std::collections::BTreeMap::new();
    for one in readings {
        coils.entry((one.setup, one.coil, one.cut)).or_default().push(mean(&one.mm));
    }
    let below = |of: &[f64], is_cut: bool| (left + if is_cut { cut } else { 0.0 }) / of.len() as f64;
    let lower = coils.iter().map(|((.., is_cut), of)| below(of, *is_cut)).sum::<f64>()
        / (coils.len() as f64).max(1.0);
    let means =
        grouped(coils.iter().map(|((setup, _, is_cut), of)| (2 * setup + u64::from(*is_cut), mean(of))));
    let of_setups = means.iter().map(|coils| Squares::of(coils)).fold(Squares::default(), Squares::and);
    let hugging = of_setups.own(lower, handbook.coil_slack_mm);
    let rounded = |mm: f64| (mm * 1000.0).round() / 1000.0;
    let scaled = |mm: f64, now: f64, before: f64| rounded(mm * now.sqrt() / before);
    let hand = HandSpread {
        roundness_mm: scaled(handbook.roundness_mm, reading, reading_0),
        caliper_mm: scaled(handbook.caliper_mm, reading, reading_0),
        closing_mm: scaled(handbook.closing_mm, cut, cut_0),
        kerf_mm: scaled(handbook.kerf_mm, cut, cut_0),
        coil_slack_mm: rounded(hugging.sqrt()),
        ..*hand
    };
    let rows = [
        (Source::Metal, metal_mm, metal_mm, 0.0),
        (Source::Rod, hand.rod_mm, handbook.rod_mm, 0.0),
        (Source::Hand, hugging.sqrt(), handbook.coil_slack_mm, of_setups.n),
        (Source::Cut, cut.sqrt(), cut_0, of_coils.n),
        (Source::Reading, reading.sqrt(), reading_0, within.n),
    ];
    let all: f64 = rows.iter().map(|(_, mm, ..)| mm * mm).sum();
    let mut sources: Vec<SourceSpread> = rows
        .iter()
        .map(|(source, mm, handbook_mm, n)| SourceSpread {
            source: *source,
            label: source.shown().to_owned(),
            mm: *mm,
            handbook_mm: *handbook_mm,
            share: if all > 0.0 { mm * mm / all } else { 0.0 },
            #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "a count")]
            seen_n: *n as u32,
        })
        .collect();
    sources.sort_by(|a, b| b.share.total_cmp(&a.share));
    let text = sources.first().map_or(String::new(), |first| narrows(first, unit));
    OwnSpread { sources, hand, text }
}

fn narrows(first: &SourceSpread, unit: LengthUnit) -> String {
    let what = match first.source {
        Source::Metal => text!("learn-spread-measure-one-coil-each-lot"),
        Source::Rod => text!("learn-spread-measure-rods-you-use-most"),
        Source::Hand => {
            text!("learn-spread-wind-with-even-pull-thumb")
        }
        Source::Cut => text!("learn-spread-close-each-ring-past-its"),
        Source::Reading => {
            text!("learn-spread-read-each-ring-three-times")
        }
    };
    text!(
        "learn-spread-most-total",
        shown = first.label,
        mm = caliper(first.mm, unit),
        share = fixed(100.0 * first.share, 0),
        what
    )
}
