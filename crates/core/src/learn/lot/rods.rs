//! The rods' own errors, learned from the coils of all lots together.
//!
//! The coils of a lot on its other rods foretell what a coil on one rod would measure. What it measured beyond that is the
//! rod's error, as surely as it was foretold and read. What other lots say of a rod is taken off a lot's coils before its
//! factor is learned, so that no coil speaks twice. Gaussians all through, one pass: a second would change thousandths.

use super::one_rod::OneRod;
use super::{Asked, Belief, LEAST_SPREAD_MM, LotLearned, MeasuredLot, learn_on};
use crate::tool::hand::HandSpread;
use crate::tool::mandrel::Mandrel;
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::LengthUnit;
use lorimant_text::{fixed, text};

/// How far a rod winds from its label.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct RodError {
    /// By so much larger, mm.
    pub off_mm: f64,
    /// One standard deviation of that, mm.
    pub spread_mm: f64,
}

impl RodError {
    /// Before any coil was measured.
    pub(crate) fn unknown(rod: &Mandrel, hand: &HandSpread) -> Self {
        Self { off_mm: 0.0, spread_mm: hand.rod_spread(rod).max(LEAST_SPREAD_MM) }
    }
}

/// A rod with what its coils say of it.
#[derive(Debug, Clone, PartialEq)]
pub struct RodLearned {
    /// The rod, as it is listed.
    pub rod: Mandrel,
    /// Its error.
    pub error: RodError,
    /// How many lots say so.
    pub lots_n: u32,
}

/// All lots and the rods they were wound on.
#[derive(Debug, Clone, PartialEq)]
pub struct Together {
    /// What is known of each lot, in the order given.
    pub lots: Vec<LotLearned>,
    /// The rods, as they first come.
    pub rods: Vec<RodLearned>,
}

/// What one lot says of a rod.
struct Says {
    lot: usize,
    error: RodError,
}

/// What a lot says of a rod is left out where it is further off than so many standard deviations: something else went wrong.
const ASTRAY: f64 = 4.0;
/// A rod is worth correcting from this error on, mm, and from so many of its standard deviations.
const WORTH_IT_MM: f64 = 0.03;
const SURE: f64 = 2.0;

/// Learns lots and rods from everything that was measured, lot by lot.
///
/// ```
/// use lorimant_core::learn::lot::{Inside, MeasuredInside, MeasuredLot, inside_with, learn};
/// use lorimant_core::learn::lot::rods::learn_together;
/// use lorimant_core::ring::RingRequest;
/// use lorimant_core::tool::{hand::HandSpread, mandrel::Mandrel};
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
///
/// let hand = HandSpread::default();
/// let coil = |metal, rod_mm: f64, winds_mm: f64| {
///     let wire = Wire::round(metal, 0.8, Temper::Soft);
///     let wound = RingRequest::new(wire.clone(), Mandrel::round(rod_mm), 20);
///     let really = RingRequest::new(wire, Mandrel::round(winds_mm), 20);
///     let inside_mm = inside_with(&really, Inside::Coil, 1.0).unwrap();
///     MeasuredInside { wound, of: Inside::Coil, inside_mm, readings_n: 3, off_spool_mm: None, excluded: false }
/// };
/// // Three lots, each on a true rod of 4 mm and one of 5 mm that is a twentieth too thick.
/// let metals = [Metal::Copper, Metal::FineSilver, Metal::RedBrass];
/// let lots = metals.map(|metal| MeasuredLot {
///     insides: vec![coil(metal, 4.0, 4.0), coil(metal, 5.0, 5.05)],
///     pulls: vec![],
/// });
/// let known = learn_together(&lots, &hand);
/// let thick = &known.rods[1];
/// assert!(thick.rod.diameter_mm == 5.0 && (0.02..0.06).contains(&thick.error.off_mm));
/// // A lot by itself is learned as ever.
/// assert_eq!(learn_together(&lots[..1], &hand).lots[0], learn(&lots[0].insides, &hand));
/// ```
#[must_use]
pub fn learn_together(lots: &[MeasuredLot], hand: &HandSpread) -> Together {
    let mut rods: Vec<(Mandrel, Vec<Says>)> = vec![];
    for (lot, measured) in lots.iter().enumerate() {
        for (rod, error) in of_lot(measured, hand) {
            let says = Says { lot, error };
            match rods.iter_mut().find(|(known, _)| *known == rod) {
                Some((_, all)) => all.push(says),
                None => rods.push((rod, vec![says])),
            }
        }
    }
    let known = |rod: &Mandrel, without: Option<usize>| {
        let before = RodError::unknown(rod, hand);
        let near = |says: &&Says| {
            let all = says.error.spread_mm.hypot(before.spread_mm);
            Some(says.lot) != without && says.error.off_mm.abs() <= ASTRAY * all
        };
        let all = rods.iter().find(|(known, _)| known == rod).map_or(&[][..], |(_, all)| all);
        let near: Vec<&Says> = all.iter().filter(near).collect();
        let weight = |error: &RodError| error.spread_mm.powi(-2);
        let weights = weight(&before) + near.iter().map(|says| weight(&says.error)).sum::<f64>();
        let sum: f64 = near.iter().map(|says| weight(&says.error) * says.error.off_mm).sum();
        let error = RodError { off_mm: sum / weights, spread_mm: weights.powf(-0.5) };
        (error, u32::try_from(near.len()).unwrap_or(u32::MAX))
    };
    Together {
        lots: lots
            .iter()
            .enumerate()
            .map(|(lot, measured)| learn_on(measured, hand, &|rod| known(rod, Some(lot)).0))
            .collect(),
        rods: rods
            .iter()
            .map(|(rod, _)| {
                let (error, lots_n) = known(rod, None);
                RodLearned { rod: rod.clone(), error, lots_n }
            })
            .collect(),
    }
}

/// What a lot says of each of its rods, by what its other rods foretell.
fn of_lot(measured: &MeasuredLot, hand: &HandSpread) -> Vec<(Mandrel, RodError)> {
    let asked = Asked::of(measured, hand, &|rod| RodError::unknown(rod, hand));
    let really = asked.really();
    let logs = asked.logs(&really);
    let says = |(n, rod): (usize, &OneRod)| {
        let others = logs.iter().enumerate().filter(|(i, _)| *i != n).map(|(_, of)| of);
        let (foretold_mm, spread_mm) = Belief::of(&asked.values, others).foretells(&rod.series.gives);
        let (mm, own_mm) = really[n].mean()?;
        // The wire's size moves all rods of a lot, so that it is no rod's error.
        let spread_mm = spread_mm.hypot(own_mm).hypot(rod.by_size_mm);
        Some((rod.wound.mandrel.clone(), RodError { off_mm: mm - foretold_mm, spread_mm }))
    };
    asked.rods.iter().enumerate().filter_map(says).collect()
}

/// As the last figure of a caliper shows it: what is asked for is a reading of the rod, not of a piece.
fn by_hundredths(mm: f64, unit: LengthUnit) -> String {
    match unit {
        LengthUnit::Mm => text!("rods-mm", by = fixed(mm, 2)),
        LengthUnit::Inch => text!("rods-in", by = fixed(mm / MM_PER_INCH, 3)),
    }
}

impl RodLearned {
    /// What to do about a rod that surely winds otherwise than it is listed; nothing of the others.
    #[must_use]
    pub fn told(&self, unit: LengthUnit) -> Option<String> {
        let RodError { off_mm, spread_mm } = self.error;
        if self.lots_n < 2 || off_mm.abs() < WORTH_IT_MM || off_mm.abs() < SURE * spread_mm {
            return None;
        }
        Some(text!(
            "rods-winds-like",
            rod = self.rod.shown_in(unit),
            thicker = off_mm > 0.0,
            by = by_hundredths(off_mm.abs(), unit),
            lots_n = self.lots_n
        ))
    }
}
