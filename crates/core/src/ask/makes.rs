//! What a wire makes: so many of each kept piece and of each pattern.

use serde::Serialize;

use super::answer::Answer;
use super::parsed::Parsed;
use crate::pattern::{Kind, PatternRequest};
use crate::piece::Piece;
use crate::ring::supply::Supply;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::words::length::{pull, shown};
use crate::words::scale::of_wire;
use lorimant_text::text;

/// A piece the workshop keeps.
#[derive(Debug, Clone, PartialEq)]
pub struct Kept {
    /// The name it is kept under.
    pub name: String,
    /// The piece.
    pub piece: Piece,
}

/// How many of one piece a supply of wire makes.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Makes {
    /// What it is called.
    pub name: String,
    /// Whether it is kept in the workshop, rather than a pattern as usually made.
    pub saved: bool,
    /// How many: rings, blanks of a finding.
    pub n: u32,
    /// What is left over, mm.
    pub left_mm: f64,
    /// The same in words: `38 rings, 41 mm left`.
    pub text: String,
    /// The piece, ready to be opened.
    pub piece: Piece,
}

impl Makes {
    /// How many of what: `36 ear wires`, `131 rings of “heron earrings”`.
    fn named(&self) -> String {
        let n = self.n;
        match (self.saved, &self.piece) {
            (true, Piece::Rings(_)) => text!("ask-makes-of", n = text!("count-ring", n), name = self.name),
            (true, Piece::Finding(_)) => text!("ask-makes-of", n = text!("count-blank", n), name = self.name),
            (true, Piece::Chain(_)) => text!("ask-makes-of", n = text!("count-chain", n), name = self.name),
            (false, _) => format!("{n} {}", self.name),
        }
    }
}

impl Parsed {
    /// Answers what can be made of the wire that was named, as long as it goes.
    pub(super) fn answer_makes(&self, workshop: &Workshop, kept: &dyn Fn() -> Vec<Kept>, reply: &mut Answer) {
        let Some(supply) = self.supply() else {
            reply.missing.push(text!("ask-makes-how-much-wire-there-for").to_owned());
            return;
        };
        // Of a weight nothing can be said without its metal and size.
        let named = self.metal.is_some() || self.size_mm.is_some() || supply.wire_mass_g.is_some();
        let wire = if named { self.wire(reply) } else { None };
        if named && wire.is_none() {
            return;
        }
        if let Some(Err(fault)) = wire.as_ref().map(Wire::check) {
            return reply.faults.push(fault);
        }
        let unit = workshop.habits.unit;
        let fits = |piece: &Piece| wire.as_ref().is_none_or(|wire| piece.wire().stands_for(wire));
        let kept = kept();
        let own = kept.iter().filter(|kept| fits(&kept.piece));
        let mut makes: Vec<Makes> =
            own.filter_map(|kept| of_piece(&kept.name, true, &kept.piece, &supply, workshop)).collect();
        for kind in Kind::all() {
            let usual = PatternRequest { count_singles: true, ..PatternRequest::usual(kind) };
            let carried = match &wire {
                Some(wire) => usual.carried_to(wire).ok(),
                None => Some(usual),
            };
            let piece = carried.map(Piece::Finding);
            makes.extend(
                piece.and_then(|piece| of_piece(kind.0.plural.as_str(), false, &piece, &supply, workshop)),
            );
        }
        let there = match (supply.wire_length_mm, supply.wire_mass_g) {
            (Some(mm), _) => pull(mm, unit),
            (_, Some(grams)) => format!("{} g", shown(grams, 2)),
            _ => String::new(),
        };
        let of =
            wire.as_ref().map_or_else(String::new, |wire| text!("ask-makes-of-2", wire = wire.shown(unit)));
        let best: Vec<String> = makes.iter().take(3).map(Makes::named).collect();
        reply.headline = if best.is_empty() {
            text!("ask-makes-not-enough-for-one-piece", there, of)
        } else {
            text!("ask-makes-makes", there, of, best = best.join(", or "))
        };
        if wire.is_none() {
            reply.assumed.push(text!("ask-makes-no-wire-given-each-piece").to_owned());
        }
        reply.makes = makes;
    }
}

fn of_piece(name: &str, saved: bool, piece: &Piece, supply: &Supply, workshop: &Workshop) -> Option<Makes> {
    let unit = workshop.habits.unit;
    let there_mm = supply.length_mm(piece.wire()).ok()?;
    let (n, left_mm) = match piece {
        Piece::Rings(request) => {
            let many = supply.makes(request, workshop).ok()?;
            (many.rings_n, many.left_mm)
        }
        // Rings of a chain are cut from coils: so many as its wire takes.
        Piece::Chain(request) => {
            let one = request.plan().ok()?;
            let n = (there_mm / one.off_the_spool_mm + 1e-9).floor().min(1e6);
            #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "0 to a million")]
            (n as u32, there_mm - n * one.off_the_spool_mm)
        }
        Piece::Finding(_) => {
            let blank_mm = piece.blanks(workshop).ok()?.length_mm;
            let n = (there_mm / blank_mm + 1e-9).floor().min(1e6);
            #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "0 to a million")]
            (n as u32, there_mm - n * blank_mm)
        }
    };
    let counted = match piece {
        Piece::Rings(_) => text!("count-ring", n),
        Piece::Chain(_) => text!("count-chain", n),
        Piece::Finding(_) => text!("count-blank", n),
    };
    let text = if left_mm < 0.05 {
        text!("ask-makes-nothing-left", n = counted)
    } else {
        text!("ask-makes-left", n = counted, left_mm = of_wire(left_mm, unit))
    };
    (n > 0).then(|| Makes { name: name.to_owned(), saved, n, left_mm, text, piece: piece.clone() })
}
