//! The simulated workshop: what a maker's hands make of a plan, and what a caliper then shows. Lots spring as they like,
//! rods are not quite what they are called, hands are uneven: all of it from a seed, by the same mechanics the plans are
//! worked out with, so that learning can be tried from end to end. Plans never see what is hidden here.

use super::check::PieceCheck;
use super::dimension::{is_graded, made_of, teaches};
use super::lot::{Inside, inside_of};
use crate::chance::Chance;
use crate::pattern::PatternRequest;
use crate::pattern::slipped::Slips;
use crate::pattern::spread::{ANGLE_DEG, CUT_MM, MARK_MM, START_MM};
use crate::piece::Piece;
use crate::ring::RingRequest;
use crate::tool::cutting::Method;
use crate::tool::hand::{HandSpread, TAPE_SHARE};
use crate::tool::mandrel::Mandrel;
use crate::tool::workshop::Workshop;
use crate::wire::SIZE_SPREAD;
use crate::wire::lot::HANDBOOK_SPREAD;

/// A workshop whose lots, rods and hands are drawn from a seed.
#[derive(Debug, Clone, PartialEq)]
pub struct Simulated {
    /// Its seed.
    pub seed: u64,
    /// How uneven its hands are.
    pub hand: HandSpread,
}

/// What is hidden in a lot.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Hidden {
    /// Its factor on the flow stress, as a share of the modulus.
    pub flow: f64,
    /// Its thickness over what its label says.
    pub size: f64,
}

/// What streams of chance are for, so that none repeats another.
#[derive(Clone, Copy)]
enum For {
    Lot = 1,
    Rod = 2,
    Piece = 3,
    Reading = 4,
    Tape = 5,
}

/// The seed of the simulated workshop that ships: the same lots and hands each time it is started.
pub const SEED: u64 = 2026;

/// What a caliper's scale shows, mm.
const SHOWS_MM: f64 = 0.01;

impl Simulated {
    fn chance(&self, what: For, of: &[u64]) -> Chance {
        Chance::of_all(&[&[self.seed, what as u64], of].concat())
    }

    /// The number of a piece in the whole workshop: each check has pieces of its own.
    #[must_use]
    pub fn own(&self, check: i64, piece_n: u32) -> u32 {
        u32::try_from(check).unwrap_or(0).wrapping_mul(5003).wrapping_add(piece_n)
    }

    /// What is hidden in a lot.
    ///
    /// ```
    /// use lorimant_core::learn::simulated::Simulated;
    /// use lorimant_core::tool::hand::HandSpread;
    ///
    /// let workshop = Simulated { seed: 1, hand: HandSpread::default() };
    /// // The same each time, another for each lot.
    /// assert_eq!(workshop.lot(5), workshop.lot(5));
    /// assert_ne!(workshop.lot(5), workshop.lot(6));
    /// ```
    #[must_use]
    pub fn lot(&self, lot_n: i64) -> Hidden {
        let mut chance = self.chance(For::Lot, &[lot_n.cast_unsigned()]);
        Hidden {
            flow: (1.0 + chance.normal(HANDBOOK_SPREAD)).clamp(0.5, 1.6),
            size: 1.0 + chance.normal(SIZE_SPREAD),
        }
    }

    /// How much thicker a rod is than it is called, mm, with its tape: there is one roll of it in the workshop.
    #[must_use]
    pub fn rod_off_mm(&self, rod: &Mandrel) -> f64 {
        let bare = Mandrel { tape_layers: 0, ..rod.clone() };
        let off_mm = self.chance(For::Rod, &[rod.diameter_mm.to_bits()]).normal(self.hand.rod_spread(&bare));
        off_mm + rod.taped_mm() * self.chance(For::Tape, &[]).normal(TAPE_SHARE)
    }

    /// The inside a wound piece really has, mm: of the `nth` coil of a lot, or a ring of it; nothing where the lot springs
    /// straight on that rod.
    #[must_use]
    pub fn inside_mm(&self, wound: &RingRequest, of: Inside, lot_n: i64, nth: u64) -> Option<f64> {
        let Hidden { flow, size } = self.lot(lot_n);
        let rod = &wound.mandrel;
        let mandrel = Mandrel { diameter_mm: rod.diameter_mm + self.rod_off_mm(rod), ..rod.clone() };
        let made = inside_of(&RingRequest { mandrel, ..wound.clone() }, of, flow, size)?;
        let hand = &self.hand;
        let mut chance =
            self.chance(For::Piece, &[lot_n.cast_unsigned(), nth, wound.mandrel.diameter_mm.to_bits()]);
        let mut off = chance.normal(hand.coil_slack_mm);
        if of == Inside::Ring {
            off += chance.normal(hand.closing_mm);
            if wound.cutting.method == Method::Saw {
                off += chance.normal(hand.kerf_mm);
            }
        }
        Some(made + off)
    }

    /// What a caliper shows of something that is really so long, mm: it is laid on somewhere about what is not quite round,
    /// reads a little off, and shows hundredths. The `nth` reading of that piece.
    #[must_use]
    pub fn caliper_mm(&self, really_mm: f64, piece: u64, nth: u64) -> f64 {
        let mut chance = self.chance(For::Reading, &[really_mm.to_bits(), piece, nth]);
        let laid = really_mm + chance.normal(self.hand.roundness_mm) + chance.normal(self.hand.caliper_mm);
        (laid / SHOWS_MM).round() * SHOWS_MM
    }

    /// What the caliper shows of one dimension of a piece of a check, the `nth` time it is laid on; the grade of what is
    /// seen or felt. Nothing for a dimension the piece does not have.
    #[must_use]
    pub fn shows(
        &self,
        check: &PieceCheck,
        piece_n: u32,
        key: &str,
        nth: u64,
        workshop: &Workshop,
    ) -> Option<f64> {
        let lot_n = check.piece.wire().lot.map_or(0, |lot| lot.lot_n);
        let piece = u64::from(piece_n);
        let chance = || {
            let of_key =
                key.bytes().fold(0_u64, |sum, byte| sum.wrapping_mul(31).wrapping_add(u64::from(byte)));
            self.chance(For::Piece, &[lot_n.cast_unsigned(), piece, of_key])
        };
        if is_graded(key) {
            return Some(f64::from(u8::from(chance().share() > 0.9)));
        }
        let really = match &check.piece {
            Piece::Finding(request) => self.finding(request, piece, lot_n, workshop)?.get(key).copied()?,
            piece_of => {
                let wound = piece_of.wound()?;
                match (teaches(key), key) {
                    (Some(of), _) => self.inside_mm(&wound, of, lot_n, piece)?,
                    (None, "wire") => wound.wire.profile().thickness_mm() * self.lot(lot_n).size,
                    (None, key) if key.starts_with("gap") => chance().normal(0.06).abs(),
                    (None, _) => return None,
                }
            }
        };
        Some(self.caliper_mm(really, piece, nth).max(0.0))
    }

    /// What a finding of this workshop really measures: its lot springs otherwise than planned, marks and middles wander.
    fn finding(
        &self,
        request: &PatternRequest,
        piece: u64,
        lot_n: i64,
        workshop: &Workshop,
    ) -> Option<std::collections::BTreeMap<String, f64>> {
        let formed = request.form().ok()?.by(workshop.methods);
        let made = made_of(request, workshop).ok()?;
        let Hidden { flow, size } = self.lot(lot_n);
        let planned = request.wire.lot.map_or(1.0, |lot| lot.flow);
        let mut chance = self.chance(For::Piece, &[lot_n.cast_unsigned(), piece]);
        let slips = Slips {
            mark_mm: chance.normal(MARK_MM),
            jaw_mm: 0.0,
            centre_mm: chance.normal(START_MM),
            blank_mm: chance.normal(CUT_MM),
            open_deg: chance.normal(ANGLE_DEG).abs(),
            bent_deg: chance.normal(ANGLE_DEG),
            start_mm: chance.normal(START_MM),
            size,
            flow: flow / planned,
        };
        let measures = formed.slipped(&made, &slips).measures();
        Some(measures.into_iter().map(|measure| (measure.key, measure.mm)).collect())
    }
}
