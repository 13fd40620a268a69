//! A recipe for a single piece that nothing kept matches: the piece that measures so, worked out backwards.

use glam::{DMat3, DVec3};
use serde::{Deserialize, Serialize};

use super::single::{Likeness, Single};
use crate::drawing::Drawing;
use crate::fault::{Fault, Faults};
use crate::pattern::{Kind, Parameter, PatternRequest, Unit, tidy};
use crate::piece::Piece;
use crate::ring::RingRequest;
use crate::tool::mandrel::Mandrel;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::metal::{Metal, Temper};
use crate::words::gauge::Gauge;
use lorimant_text::text;

/// A single piece for which a recipe is wanted.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct UnknownSingle {
    /// What it measures; its wire among it.
    pub measured: Single,
    /// Its metal.
    pub metal: Metal,
}

/// A piece that measures so.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Recipe {
    /// What it is, in its own sentence.
    pub description: String,
    /// The piece.
    pub piece: Piece,
    /// What it would measure, against what was measured.
    pub text: String,
    /// It drawn.
    pub drawing: Drawing,
    /// Colour of its bare metal, `#rrggbb`.
    pub colour: String,
    /// How far its least usual dimension is from what is usual in such wire, as a factor: 1 where all are as usual.
    pub unusual: f64,
}

/// Most that are offered; which it is the maker sees.
const MOST: usize = 6;
/// A dimension further than this from what is usual makes a piece that nobody makes so.
const MOST_UNUSUAL: f64 = 2.5;
/// A piece this near to its measures is there, mm.
const MET_MM: f64 = 1e-3;
/// Most steps towards it, and how often one is halved.
const MOST_STEPS: usize = 20;
const MOST_HALVINGS: usize = 8;
/// How much a dimension grows to see what that does, as a logarithm.
const STEP: f64 = 1e-3;
/// Keeps steps short where a measure hardly follows any dimension, mm² by logarithm.
const DAMPING: f64 = 1e-3;
/// Half turns looked at, and numbers of turns taken further.
const MOST_HALF_TURNS: u32 = 120;
const MOST_TURNS: usize = 3;
/// A caliper's reading this near to a gauge is that gauge, mm.
const A_GAUGE_MM: f64 = 0.012;

impl UnknownSingle {
    /// Pieces that measure so, the most usual first: rings, and each pattern with the dimensions that give it.
    ///
    /// ```
    /// use lorimant_core::order::recipe::UnknownSingle;
    /// use lorimant_core::order::single::Single;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::wire::metal::Metal;
    ///
    /// let measured = Single { wire_mm: Some(1.0), long_mm: Some(8.0), short_mm: Some(8.0), inside_mm: Some(6.0) };
    /// let recipes = UnknownSingle { measured, metal: Metal::Copper }.recipes(&Workshop::default()).unwrap();
    /// // A ring; on a rod that is a little thinner, since it springs open.
    /// assert!(recipes[0].description.contains("ring"));
    /// ```
    ///
    /// # Errors
    /// As [`Single::check`]; a fault where the wire was not measured.
    pub fn recipes(&self, workshop: &Workshop) -> Result<Vec<Recipe>, Faults> {
        self.measured.check()?;
        let Some(wire_mm) = self.measured.wire_mm else {
            let message = text!("recipe-start-with-wire-measure-how");
            return Err(Fault::new("wire_mm", message).into());
        };
        let gauge = Gauge::nearest(workshop.habits.gauge, wire_mm).mm();
        let size_mm = if (gauge - wire_mm).abs() < A_GAUGE_MM { gauge } else { wire_mm };
        let mut found: Vec<Recipe> = self.rings(size_mm, workshop).into_iter().collect();
        let drawn = Kind::all().filter(|kind| kind.0.kind != "round-ring");
        found.extend(drawn.filter_map(|kind| self.finding(kind, size_mm, workshop)));
        found.sort_by(|a, b| a.unusual.total_cmp(&b.unusual));
        found.truncate(MOST);
        Ok(found)
    }

    /// A round ring on the rod of the workshop that gives it, where it is as wide as it is long.
    fn rings(&self, size_mm: f64, workshop: &Workshop) -> Option<Recipe> {
        let Single { long_mm, short_mm, inside_mm, .. } = self.measured;
        let inside = inside_mm.or(long_mm.or(short_mm).map(|mm| mm - 2.0 * size_mm))?;
        let wire = Wire::round(self.metal, size_mm, Temper::Soft);
        let target = RingRequest::new(wire, Mandrel::round(inside.max(size_mm)), 1).target(inside);
        let choice = target.choose(workshop).ok()?;
        let rod = choice.candidates.first().filter(|one| one.off_mm.abs() < 0.1);
        let rod = rod.map_or_else(|| target.ideal_rod(choice.mandrel_diameter_mm), |one| one.mandrel.clone());
        self.recipe(Piece::Rings(target.on(rod)), 1.0, workshop)
    }

    /// A pattern in such wire that measures so, as near to how it is usually made as that allows.
    fn finding(&self, kind: Kind, size_mm: f64, workshop: &Workshop) -> Option<Recipe> {
        let wire = Wire::round(self.metal, size_mm, kind.0.usual().temper);
        let usual = PatternRequest { wire, count_singles: true, ..PatternRequest::usual(kind) };
        let recipes = self.with_turns(&usual).into_iter().filter_map(|started| {
            let solved = tidied(self.solved(&started)?);
            let unusual = unusual(&solved, &usual);
            (unusual < MOST_UNUSUAL)
                .then(|| self.recipe(Piece::Finding(solved.settled()), unusual, workshop))?
        });
        recipes.min_by(|a, b| a.unusual.total_cmp(&b.unusual))
    }

    /// The same with the numbers of turns that come nearest: turns are counted by halves, and a part-turn swings a
    /// piece's outline to and fro, so that no slope leads to them.
    fn with_turns(&self, usual: &PatternRequest) -> Vec<PatternRequest> {
        let Some(turns) = free(usual).find(|parameter| parameter.unit == Unit::Turns) else {
            return vec![usual.clone()];
        };
        let n = usual.value(turns.name);
        let (least, most) = (turns.min.max(n / MOST_UNUSUAL), turns.max.min(n * MOST_UNUSUAL));
        let mut tried: Vec<(f64, PatternRequest)> = (1..=MOST_HALF_TURNS)
            .map(|halves| 0.5 * f64::from(halves))
            .filter(|count| (least..=most).contains(count))
            .filter_map(|count| {
                let mut with = usual.clone();
                with.parameters.insert(turns.name.to_owned(), count);
                Some((self.off(&with)?.length(), with))
            })
            .collect();
        tried.sort_by(|a, b| a.0.total_cmp(&b.0));
        tried.into_iter().take(MOST_TURNS).map(|(_, with)| with).collect()
    }

    /// The dimensions that give what was measured with the least change from the usual ones, by ratio: Newton steps of
    /// least norm, `Jᵀ(JJᵀ + μI)⁻¹` of what is still off.
    fn solved(&self, usual: &PatternRequest) -> Option<PatternRequest> {
        let free: Vec<&Parameter> = free(usual).filter(|parameter| parameter.unit == Unit::Mm).collect();
        let mut request = usual.clone();
        let mut off = self.off(&request)?;
        for _ in 0..MOST_STEPS {
            if off.length() < MET_MM {
                break;
            }
            // How what is off changes as each dimension grows, by its logarithm.
            let slopes: Vec<DVec3> = free
                .iter()
                .map(|one| {
                    self.off(&scaled(&request, &[(one, STEP)]))
                        .map_or(DVec3::ZERO, |then| (then - off) / STEP)
                })
                .collect();
            let products = slopes.iter().fold(DMat3::from_diagonal(DVec3::splat(DAMPING)), |sum, slope| {
                sum + DMat3::from_cols(*slope * slope.x, *slope * slope.y, *slope * slope.z)
            });
            let pull = products.inverse() * off;
            let step: Vec<(&Parameter, f64)> =
                free.iter().zip(&slopes).map(|(one, slope)| (*one, -slope.dot(pull))).collect();
            // What is too far for the piece to be laid, or makes it worse, is gone half way.
            let mut share = 1.0;
            let nearer = std::iter::from_fn(|| {
                let part: Vec<_> = step.iter().map(|(one, by)| (*one, share * by)).collect();
                share /= 2.0;
                Some(scaled(&request, &part))
            });
            let better = nearer.take(MOST_HALVINGS).find_map(|next| {
                self.off(&next).filter(|then| then.length() < off.length()).map(|then| (next, then))
            });
            let Some((next, then)) = better else { break };
            (request, off) = (next, then);
        }
        Some(request)
    }

    /// How far a piece is from what was measured: its longer way, its shorter way, the loop nearest to the one measured, mm.
    fn off(&self, request: &PatternRequest) -> Option<DVec3> {
        let formed = request.form().ok()?;
        let size = formed.extent.size();
        let Single { long_mm, short_mm, inside_mm, .. } = self.measured;
        let from = |measured: Option<f64>, mm: f64| measured.map_or(0.0, |measured| mm - measured);
        let inside = match inside_mm {
            None => 0.0,
            // What has no loop at all is not it.
            Some(mm) => {
                let insides = formed.design.openings.iter().map(|opening| opening.inside_mm - mm);
                insides.min_by(|a, b| a.abs().total_cmp(&b.abs()))?
            }
        };
        Some(DVec3::new(from(long_mm, size.x.max(size.y)), from(short_mm, size.x.min(size.y)), inside))
    }

    fn recipe(&self, piece: Piece, unusual: f64, workshop: &Workshop) -> Option<Recipe> {
        let unit = workshop.habits.unit;
        let Likeness { fits, text, .. } = self.measured.likeness(0, &piece, unit)?;
        let thumbnail = fits.then(|| piece.thumbnail(workshop).ok())??;
        let description = piece.sentence(unit);
        let colour = piece.wire().metal.figures().colour.to_owned();
        Some(Recipe { description, piece, text, drawing: thumbnail.drawing, colour, unusual })
    }
}

/// The dimensions of a pattern that a single piece may have otherwise: all that are there at all.
fn free(request: &PatternRequest) -> impl Iterator<Item = &'static Parameter> {
    let grows = |parameter: &&Parameter| matches!(parameter.unit, Unit::Mm | Unit::Turns);
    request.kind.0.parameters.iter().filter(grows).filter(|parameter| request.value(parameter.name) > 0.0)
}

/// The same with dimensions so much larger, as natural logarithms, within their limits.
fn scaled(request: &PatternRequest, by: &[(&Parameter, f64)]) -> PatternRequest {
    let mut scaled = request.clone();
    for (parameter, log) in by {
        let value = request.value(parameter.name) * log.clamp(-1.0, 1.0).exp();
        scaled.parameters.insert(parameter.name.to_owned(), value.clamp(parameter.min, parameter.max));
    }
    scaled
}

/// What was solved as one would say it: a caliper on a bent piece tells no more.
fn tidied(mut request: PatternRequest) -> PatternRequest {
    for (name, value) in &mut request.parameters {
        let span = request.kind.0.parameter(name).map(|one| (one.min, one.max));
        let (least, most) = span.unwrap_or((*value, *value));
        *value = tidy(*value).clamp(least, most);
    }
    request
}

/// How far the least usual of its dimensions is from the usual one, as a factor.
fn unusual(request: &PatternRequest, usual: &PatternRequest) -> f64 {
    let off =
        |parameter: &Parameter| (request.value(parameter.name) / usual.value(parameter.name)).ln().abs();
    free(usual).map(|parameter| off(parameter).exp()).fold(1.0, f64::max)
}
