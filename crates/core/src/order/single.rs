//! A single piece: what it measures leads back to the recipe it was made by.

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span};
use crate::piece::Piece;
use crate::words::length::{LengthUnit, caliper};
use lorimant_text::{Text, text};

/// What a single piece measures; what was not measured is left out.
#[derive(Debug, Clone, Copy, PartialEq, Default, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Single {
    /// Its wire, mm.
    pub wire_mm: Option<f64>,
    /// The longer way across it, seen from the front, mm.
    pub long_mm: Option<f64>,
    /// The shorter way, mm.
    pub short_mm: Option<f64>,
    /// Inside of a loop, or of the ring, mm.
    pub inside_mm: Option<f64>,
}

/// How a recipe compares with a single piece.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Likeness {
    /// The recipe, by its place.
    pub of: usize,
    /// Whether all that was measured agrees as well as handwork does.
    pub fits: bool,
    /// How far off it is at the worst, as a multiple of what handwork is allowed.
    pub off: f64,
    /// What it would measure, against what was measured.
    pub text: String,
}

/// What handwork and a caliper are allowed to be off: of the wire, across the piece, of a loop, mm.
const WIRE_MM: f64 = 0.06;
const ACROSS_MM: f64 = 0.8;
const INSIDE_MM: f64 = 0.25;

impl Single {
    const SIZE: Span = Span { noun: Text::named("single-measure"), unit: " mm", least: 0.05, most: 300.0 };

    /// Recipes by how well they agree with what was measured, the best first; those that are off by more than six times
    /// what handwork is allowed are left out.
    ///
    /// ```
    /// use lorimant_core::order::single::Single;
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let kept = ["figure-eight", "hook-clasp"].map(|kind| Piece::Finding(PatternRequest::usual(kind.parse().unwrap())));
    /// let Piece::Finding(hook) = &kept[1] else { unreachable!() };
    /// let size = hook.form().unwrap().extent.size();
    /// let single = Single {
    ///     wire_mm: Some(hook.wire.size_mm),
    ///     long_mm: Some(size.x.max(size.y)),
    ///     short_mm: Some(size.x.min(size.y)),
    ///     inside_mm: None,
    /// };
    /// let alike = single.alike(&kept, LengthUnit::Mm).unwrap();
    /// assert_eq!((alike[0].of, alike[0].fits), (1, true));
    /// ```
    ///
    /// # Errors
    /// As [`Self::check`].
    pub fn alike(&self, pieces: &[Piece], unit: LengthUnit) -> Result<Vec<Likeness>, Faults> {
        self.check()?;
        let mut alike: Vec<Likeness> =
            pieces.iter().enumerate().filter_map(|(of, piece)| self.likeness(of, piece, unit)).collect();
        alike.sort_by(|a, b| a.off.total_cmp(&b.off));
        alike.retain(|one| one.off <= 6.0);
        Ok(alike)
    }

    /// Checks what was measured.
    ///
    /// # Errors
    /// A fault where fewer than two things were measured, and for each measure that is none.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        let fields = [
            ("wire_mm", self.wire_mm),
            ("long_mm", self.long_mm),
            ("short_mm", self.short_mm),
            ("inside_mm", self.inside_mm),
        ];
        for (field, value) in fields {
            if let Some(mm) = value {
                faults.keep(Self::SIZE.check(field, mm));
            }
        }
        if fields.iter().filter(|(_, value)| value.is_some()).count() < 2 {
            let message = text!("single-one-measurement-fits-too-many");
            faults.add(Fault::new("long_mm", message));
        }
        faults.into_result()
    }

    /// How one piece compares; nothing where it has no such measure.
    pub(super) fn likeness(&self, of: usize, piece: &Piece, unit: LengthUnit) -> Option<Likeness> {
        let made = measured(piece).ok()?;
        let inside_mm = self.inside_mm.and_then(|mm| {
            let nearest = |a: &&f64, b: &&f64| (**a - mm).abs().total_cmp(&(**b - mm).abs());
            made.insides_mm.iter().min_by(nearest).copied()
        });
        let mut off: f64 = 0.0;
        let mut told = vec![];
        for (what, measured, made, allowed) in [
            ("wire", self.wire_mm, Some(made.wire_mm), WIRE_MM),
            ("long", self.long_mm, Some(made.long_mm), ACROSS_MM),
            ("wide", self.short_mm, Some(made.short_mm), ACROSS_MM),
            ("inside", self.inside_mm, inside_mm, INSIDE_MM),
        ] {
            let Some(measured) = measured else { continue };
            // What has no loop at all has not that one.
            let made = made?;
            off = off.max((made - measured).abs() / allowed);
            told.push(text!(
                "single-for",
                what,
                made = caliper(made, unit),
                measured = caliper(measured, unit)
            ));
        }
        Some(Likeness { of, fits: off <= 1.0, off, text: told.join(", ") })
    }
}

/// What one of a piece measures.
struct Measured {
    wire_mm: f64,
    long_mm: f64,
    short_mm: f64,
    insides_mm: Vec<f64>,
}

fn measured(piece: &Piece) -> Result<Measured, Faults> {
    let wire_mm = piece.wire().profile().thickness_mm();
    match piece {
        Piece::Rings(request) => {
            let plan = request.plan()?;
            let (long, short) = (plan.ring_inside_diameter_mm, plan.ring_inside_short_mm);
            let both = 2.0 * wire_mm;
            Ok(Measured {
                wire_mm,
                long_mm: long + both,
                short_mm: short + both,
                insides_mm: vec![long, short],
            })
        }
        // One ring of it is measured.
        Piece::Chain(request) => measured(&Piece::Rings(request.rings()?)),
        Piece::Finding(request) => {
            let formed = request.form()?;
            let size = formed.extent.size();
            let insides_mm = formed.design.openings.iter().map(|opening| opening.inside_mm).collect();
            Ok(Measured { wire_mm, long_mm: size.x.max(size.y), short_mm: size.x.min(size.y), insides_mm })
        }
    }
}
