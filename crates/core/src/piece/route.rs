//! How a piece is made, by these methods and with these changes: its route with what it takes in all.

use serde::Serialize;

use super::{Blanks, Piece};
use crate::fault::Faults;
use crate::making::holds::Holds;
use crate::making::takes::{Lost, WireLost};
use crate::making::wear::{RequiredLoad, Wear};
use crate::making::{Made, Step, Workpiece};
use crate::tool::method::Methods;
use crate::tool::workshop::Workshop;

/// A route that was run, with its totals.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Route {
    /// The piece in a sentence.
    pub text: String,
    /// Every operation in order.
    pub operations: Vec<Step>,
    /// What comes of it in all.
    pub totals: Totals,
}

/// What a route takes and leaves in all.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Totals {
    /// How many are made: rings, or blanks of a finding.
    pub pieces_n: u32,
    /// Wire off the spool for all of them, mm: what is in them and what falls off.
    pub off_the_spool_mm: f64,
    /// The same, grams.
    pub off_the_spool_g: f64,
    /// Wire that is in them at the end, mm.
    pub in_the_pieces_mm: f64,
    /// What falls off for all of them, by where it goes.
    pub lost: Vec<WireLost>,
    /// Minutes to lay out tools, once.
    pub setting_up_min: f64,
    /// Minutes at the bench for one.
    pub each_min: f64,
    /// Minutes at the bench for all.
    pub hands_min: f64,
    /// Minutes that pass without the maker.
    pub unattended_min: f64,
    /// The hardest single thing a hand does, as a multiple of bending 20 AWG soft copper.
    pub effort: f64,
    /// The greatest share of what the metal had left that any operation uses.
    pub strain_used: f64,
    /// What it holds as it is made; none where nothing of it bears.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub holds: Option<Holds>,
    /// What it ought to bear where it may be worn; nothing for what does not bear.
    pub required: Vec<RequiredLoad>,
    /// The workpiece at the end.
    pub workpiece: Workpiece,
}

impl Piece {
    /// What it ought to bear where it may be worn, and whether it does, holding so much.
    #[must_use]
    pub fn ought(&self, holds: Holds) -> Vec<RequiredLoad> {
        let worn: &[Wear] = match self {
            Self::Finding(request) => request.kind.0.wears(),
            Self::Rings(_) | Self::Chain(_) => &Wear::AROUND,
        };
        worn.iter().map(|wear| wear.ought(holds)).collect()
    }

    /// The methods it is made by where none are named: the workshop's, but for what its plan says itself.
    #[must_use]
    pub fn methods(&self, workshop: &Workshop) -> Methods {
        match self {
            Self::Rings(request) => request.methods(workshop),
            Self::Finding(request) => request.methods(workshop),
            Self::Chain(request) => request.methods(workshop),
        }
    }

    /// Its route as this workshop makes it, with its totals.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hooks = PatternRequest { pieces_n: 12, ..PatternRequest::usual("hook-clasp".parse().unwrap()) };
    /// let totals = Piece::Finding(hooks).route(&Workshop::default()).unwrap().totals;
    /// // Wire is accounted for.
    /// let lost: f64 = totals.lost.iter().map(|lost| lost.mm).sum();
    /// assert!((totals.off_the_spool_mm - totals.in_the_pieces_mm - lost).abs() < 1e-9);
    /// ```
    ///
    /// # Errors
    /// As [`Piece::finished`].
    pub fn route(&self, workshop: &Workshop) -> Result<Route, Faults> {
        Ok(self.finished(workshop)?.route())
    }

    /// What a route that was run takes and leaves in all.
    pub(super) fn totals(&self, made: &Made, blanks: Blanks, holds: Option<Holds>) -> Totals {
        let wire = self.wire();
        let pieces_n = self.workpieces_n();
        // Of rings, what is lost is told for all their coils together.
        let each_lost = if matches!(self, Self::Finding(_)) { f64::from(pieces_n) } else { 1.0 };
        let lost: Vec<WireLost> = Lost::ALL
            .iter()
            .map(|kind| {
                let all = made.steps.iter().flat_map(|step| &step.takes.wire);
                let mm: f64 = all.filter(|lost| lost.kind == *kind).map(|lost| lost.mm).sum();
                WireLost { kind: *kind, mm: mm * each_lost, g: wire.mass_g(mm * each_lost) }
            })
            .filter(|lost| lost.mm > 0.0)
            .collect();
        let workpiece = made.finished().cloned().unwrap_or_else(|| Workpiece::of(wire, 0.0));
        // What the ruler's mark adds stays in the piece.
        let off_the_spool_mm = match self {
            Self::Finding(_) => f64::from(blanks.n) * blanks.length_mm,
            _ => f64::from(pieces_n) * workpiece.length_mm + lost.iter().map(|lost| lost.mm).sum::<f64>(),
        };
        let in_the_pieces_mm = off_the_spool_mm - lost.iter().map(|lost| lost.mm).sum::<f64>();
        let (hands_min, unattended_min) = made.minutes(pieces_n);
        let most = |of: fn(&Step) -> f64| made.steps.iter().map(of).fold(0.0, f64::max);
        Totals {
            pieces_n,
            off_the_spool_mm,
            off_the_spool_g: wire.mass_g(off_the_spool_mm),
            in_the_pieces_mm,
            lost,
            setting_up_min: made.steps.iter().map(|step| step.takes.setting_up_min).sum(),
            each_min: made.steps.iter().map(|step| step.takes.each_min).sum(),
            hands_min,
            unattended_min,
            effort: most(|step| step.takes.effort),
            strain_used: most(|step| step.numbers.strain_used.unwrap_or(0.0)),
            required: holds.map_or(vec![], |holds| self.ought(holds)),
            holds,
            workpiece,
        }
    }
}
