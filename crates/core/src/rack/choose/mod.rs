//! Choosing a wire: every metal, temper and size weighed for a piece, with the reasons.
//!
//! A [`ChooseRequest`] says what the wire is for; [`ChooseRequest::choose`] ranks wires for it. The piece
//! keeps its inside dimensions; what a wire's own thickness changes is worked out anew for each. All are weighed by
//! estimates first; the likeliest then as they are made, their routes run to the end.

mod duty;
mod made;
mod weigh;
mod wish;

use rust_decimal::Decimal;
use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span};
use crate::pattern::Worn;
use crate::piece::Piece;
use crate::rack::stock::check_money;
use crate::rack::stock::price::Rack;
use crate::tool::workshop::Workshop;
use crate::wire::metal::{Metal, Temper};
use crate::wire::strength::grams_that_pull;
use crate::wire::surface::Surface;
use crate::wire::{Wire, sizes_sold};
use crate::words::words;
use lorimant_text::{Text, text};

pub use duty::Duty;
pub use wish::{Matters, Use};

words! {
    /// How a piece is finished.
    pub enum Finish ("finish") {
        /// Left as it is.
        Left = "left";
        /// Polished.
        Polished = "polished";
        /// Darkened.
        Darkened = "darkened";
    }
}

words! {
    /// How a piece is joined.
    pub enum Joined ("joined") {
        /// Not at all.
        Not = "not";
        /// Fused to itself.
        Fused = "fused";
        /// Soldered.
        Soldered = "soldered";
    }
}

words! {
    /// Who makes it.
    pub enum Maker ("maker") {
        /// Somebody who practises.
        Practising = "practising";
        /// Somebody with strong, trained hands.
        Confident = "confident";
    }
}

/// What a wire is wanted for.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct ChooseRequest {
    /// The piece.
    pub purpose: Piece,
    /// Where it is worn; where the piece usually is if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub worn: Option<Worn>,
    /// Whether the ear or the skin bears little: no nickel, and as little copper as can be.
    #[serde(default, skip_serializing_if = "std::ops::Not::not")]
    pub sensitive: bool,
    /// What it must bear, N; 0 where nothing hangs on it.
    #[serde(default)]
    pub bears_n: f64,
    /// The hole that it has to go through, mm, where there is one: a bead's.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub hole_mm: Option<f64>,
    /// Whether it has to spring back from far, like a bracelet coil that is put over the hand.
    #[serde(default, skip_serializing_if = "std::ops::Not::not")]
    pub springs: bool,
    /// How it is finished.
    #[serde(default = "left")]
    pub finish: Finish,
    /// How it is joined.
    #[serde(default = "not")]
    pub joined: Joined,
    /// Who makes it.
    #[serde(default = "confident")]
    pub maker: Maker,
    /// What matters most, where something does.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub matters: Option<Matters>,
    /// What the wire of one piece may cost, in the workshop's currency.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub most_each: Option<Decimal>,
}

fn left() -> Finish {
    Finish::Left
}

fn not() -> Joined {
    Joined::Not
}

fn confident() -> Maker {
    Maker::Confident
}

/// A wire weighed for the piece. Loads and efforts are estimates.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct WireCandidate {
    /// The wire.
    pub wire: Wire,
    /// The wire in words.
    pub label: String,
    /// Load at which it opens as made, N; none for a piece of which no load is given.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub holds_n: Option<f64>,
    /// The same after two hours in the barrel, N.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub holds_hardened_n: Option<f64>,
    /// The two as the masses whose weight pulls so, g: what a plot of them shows.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub holds_g: Option<[f64; 2]>,
    /// The two in words: `670 g`.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub holds_text: Option<[String; 2]>,
    /// Effort of a bend, as a multiple of 20 AWG soft copper.
    pub effort: f64,
    /// Share of the stretch it had left that its tightest bend uses.
    pub strain_used: f64,
    /// Share of a bend that stays after letting go, R0/R1, at the widest bend that bears, or the widest of all.
    pub springback_ratio: f64,
    /// Wire of one piece as cut, mm.
    pub blank_mm: f64,
    /// Mass of that, g.
    pub mass_g: f64,
    /// The wire of one in words: its cut length as its plan says it, or what a ring takes of its coil, and its weight.
    pub cut_text: String,
    /// How much of it is on the rack, in words, where any is: `12.4 m on the rack`.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub on_rack: Option<String>,
    /// What it costs: as its lots on the rack did, or as its metal does; where either is known.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>))]
    pub cost: Option<Decimal>,
    /// How far it is from what is wanted, in points; 0 is as wanted in everything.
    pub misses: f64,
    /// Why it is where it is, in sentences, what weighs most first.
    pub reasons: Vec<String>,
    /// What to know before cutting.
    pub cautions: Vec<String>,
    /// Colour of the bare metal, `#rrggbb`.
    pub colour: &'static str,
}

/// A metal that cannot serve, and why.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct LeftOut {
    /// The metal.
    pub metal: Metal,
    /// Its name.
    pub label: &'static str,
    /// Why it is left out.
    pub because: String,
}

/// A question on which makers differ, with both answers in figures.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct MakersDiffer {
    /// The question.
    pub question: &'static str,
    /// Some.
    pub some: String,
    /// Others.
    pub others: String,
}

/// Wires for a piece, the best first.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Choosing {
    /// What is asked of the piece, as the mass whose weight pulls so, g.
    pub bears_g: f64,
    /// The best wires: at most three sizes and tempers of any one metal.
    pub candidates: Vec<WireCandidate>,
    /// Metals that cannot serve.
    pub left_out: Vec<LeftOut>,
    /// Where makers differ.
    pub makers_differ: Vec<MakersDiffer>,
    /// How many wires were weighed.
    pub weighed_n: usize,
    /// Why no load is given, where none is.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub no_load: Option<String>,
}

/// Most wires given.
const MOST: usize = 16;
/// Most of one metal whose route is run.
const MADE_OF_A_METAL: usize = 4;
/// Most of one metal that are given.
const MOST_OF_A_METAL: usize = 3;
/// Most wires compared side by side.
pub const MOST_COMPARED: usize = 4;

impl ChooseRequest {
    const BEARS: Span =
        Span { noun: Text::named("choose-load-hold"), unit: " N", least: 0.0, most: 10_000.0 };

    /// The load and the price; the piece is checked by working it out.
    fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.keep(Self::BEARS.check("bears_n", self.bears_n));
        faults.keep(self.hole_mm.map_or(Ok(0.0), |hole| wish::HOLE.check("hole_mm", hole)));
        faults.keep(check_money("most_each", self.most_each));
        faults.into_result()
    }

    /// What the piece asks of its wire.
    ///
    /// # Errors
    /// The faults of the piece, within `purpose`.
    pub fn duty(&self) -> Result<Duty, Faults> {
        match &self.purpose {
            Piece::Rings(request) => Duty::of_rings(request).map_err(|faults| faults.within("purpose.rings")),
            Piece::Chain(request) => {
                Duty::of_rings(&request.ring).map_err(|faults| faults.within("purpose.chain.ring"))
            }
            Piece::Finding(request) => {
                Duty::of_finding(request).map_err(|faults| faults.within("purpose.finding"))
            }
        }
    }

    /// Ranks wires for the piece: every metal that can serve, every temper, twenty sizes and what is on the rack.
    ///
    /// # Errors
    /// Faults of the piece, of the load and of the price.
    pub fn choose(&self, rack: &Rack, workshop: &Workshop) -> Result<Choosing, Faults> {
        let habits = workshop.habits;
        self.check()?;
        let duty = self.duty()?;
        let mut left_out = vec![];
        let mut weighed: Vec<(f64, Wire)> = vec![];
        let sizes = sizes_sold(habits);
        let mut weighed_n = 0;
        for metal in Metal::ALL {
            if let Some(because) = self.excludes(*metal, &duty) {
                left_out.push(LeftOut { metal: *metal, label: metal.shown(), because });
                continue;
            }
            for temper in Temper::ALL {
                let of = |size_mm: f64| Wire {
                    metal: *metal,
                    section: duty.section,
                    size_mm,
                    temper: *temper,
                    surface: Surface::Bare,
                    lot: None,
                };
                let sold = sizes.iter().map(|size_mm| of(*size_mm)).filter(|wire| rack.left_mm(wire) <= 0.0);
                let there = rack.wires().filter(|wire| **wire == of(wire.size_mm)).cloned();
                for wire in there.chain(sold) {
                    weighed_n += 1;
                    let Some(measured) = duty.measure(&wire) else { continue };
                    if let Some(misses) = self.misses(&wire, &measured, &duty, rack) {
                        weighed.push((misses, wire));
                    }
                }
            }
        }
        weighed.sort_by(|a, b| a.0.total_cmp(&b.0));
        // The likeliest of each metal are made, so to speak, and weighed again as what came of them.
        let mut likeliest: Vec<WireCandidate> = vec![];
        for (_, wire) in &weighed {
            let of_metal = likeliest.iter().filter(|one| one.wire.metal == wire.metal).count();
            if of_metal < MADE_OF_A_METAL {
                likeliest.extend(self.candidate(wire, &duty, rack, workshop));
            }
        }
        likeliest.sort_by(|a, b| a.misses.total_cmp(&b.misses));
        let mut candidates: Vec<WireCandidate> = vec![];
        for one in likeliest {
            let of_metal = candidates.iter().filter(|other| other.wire.metal == one.wire.metal).count();
            if of_metal < MOST_OF_A_METAL && candidates.len() < MOST {
                candidates.push(one);
            }
        }
        let makers_differ = candidates
            .first()
            .map(|best| self.makers_differ(&best.wire, &duty, workshop))
            .unwrap_or_default();
        let no_load = (!duty.bears()).then(|| text!("choose-no-load-given-for-they", name = duty.name));
        Ok(Choosing {
            bears_g: grams_that_pull(self.bears_n),
            candidates,
            left_out,
            makers_differ,
            weighed_n,
            no_load,
        })
    }

    /// Weighs the wires named, side by side.
    ///
    /// # Errors
    /// Faults of the piece; more than four wires, a wire of impossible size.
    pub fn compare(
        &self,
        wires: &[Wire],
        rack: &Rack,
        workshop: &Workshop,
    ) -> Result<Vec<WireCandidate>, Faults> {
        self.check()?;
        if wires.is_empty() || wires.len() > MOST_COMPARED {
            let message = text!("choose-wires-too-many-compare-choose", wires = wires.len(), MOST_COMPARED);
            return Err(Fault::new("wires", message).limit(4.0).into());
        }
        let mut faults = Faults::none();
        for (i, wire) in wires.iter().enumerate() {
            faults.keep(wire.check().map_err(|fault| fault.within(&format!("wires[{i}]"))));
        }
        if !faults.is_empty() {
            return Err(faults);
        }
        let duty = self.duty()?;
        Ok(wires.iter().filter_map(|wire| self.candidate(wire, &duty, rack, workshop)).collect())
    }
}
