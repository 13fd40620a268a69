//! What wire is wanted for, as a maker would say it: a use without a piece, and what matters most.

use super::{ChooseRequest, Finish, Joined, Maker};
use crate::fault::Span;
use crate::pattern::kinds::{eye_pin, hook_clasp, open_ear_wire};
use crate::pattern::{Kind, PatternRequest, Worn};
use crate::piece::Piece;
use crate::ring::RingRequest;
use crate::tool::mandrel::Mandrel;
use crate::wire::Wire;
use crate::wire::bending::Bending;
use crate::wire::metal::{Metal, Nickel, Tarnish, Temper};
use crate::wire::section::Section;
use crate::wire::strength::{GRAVITY, load_told};
use crate::words::length::{LengthUnit, thickness};
use crate::words::words;
use lorimant_text::{Text, text};

words! {
    /// What wire is wanted for, where no piece is thought of yet.
    pub enum Use ("use") {
        /// Ear wires for every day.
        EarWires = "ear-wires";
        /// Ear wires for ears that bear little.
        SensitiveEars = "sensitive-ears";
        /// The clasp of a heavy necklace.
        HeavyClasp = "heavy-clasp";
        /// The links of a chain.
        ChainLinks = "chain-links";
        /// Pins through beads with a fine hole.
        FineBeads = "fine-beads";
        /// Practice.
        Practice = "practice";
        /// Rings that are fused.
        Fusing = "fusing";
        /// A coil that springs back round a wrist.
        MemoryCoil = "memory-coil";
    }
}

words! {
    /// What matters most in a wire.
    pub enum Matters ("matters") {
        /// That it looks like silver.
        SilverLook = "silver-look";
        /// That it costs little.
        Price = "price";
        /// That it keeps its shape.
        KeepsShape = "keeps-shape";
        /// That it bends easily.
        EasyToBend = "easy-to-bend";
        /// That it does not tarnish.
        NoTarnish = "no-tarnish";
    }
}

/// What a piece is asked to hold where nothing is said: 50 g.
const USUAL_LOAD_N: f64 = 0.05 * GRAVITY;

/// A hole is drilled a little wider than the wire that goes through it: at most this share of it is filled.
const FILLS: f64 = 0.95;

/// The hole of a bead, mm.
pub(super) const HOLE: Span = Span { noun: Text::named("choose-hole"), unit: " mm", least: 0.2, most: 10.0 };

impl Use {
    /// The question that is meant by it. All of it can be changed.
    ///
    /// ```
    /// use lorimant_core::rack::choose::Use;
    ///
    /// assert_eq!(Use::FineBeads.request().hole_mm, Some(0.7));
    /// ```
    pub fn request(self) -> ChooseRequest {
        let finding = |kind| Piece::Finding(PatternRequest::usual(Kind(kind)));
        let rings = |wire: Wire, rod_mm| Piece::Rings(RingRequest::new(wire, Mandrel::round(rod_mm), 100));
        let silver = |size_mm, temper| Wire::round(Metal::SterlingSilver, size_mm, temper);
        let (purpose, bears_n) = match self {
            Self::EarWires | Self::SensitiveEars | Self::Practice => (finding(&open_ear_wire::PATTERN), 0.1),
            Self::HeavyClasp => (finding(&hook_clasp::PATTERN), 2.0),
            Self::ChainLinks => (rings(silver(1.0, Temper::HalfHard), 4.0), 2.0),
            Self::FineBeads => (finding(&eye_pin::PATTERN), 0.0),
            Self::Fusing => (rings(Wire::round(Metal::FineSilver, 1.0, Temper::Soft), 5.0), 0.0),
            Self::MemoryCoil => (rings(Wire::round(Metal::StainlessSteel, 0.6, Temper::Spring), 25.0), 0.0),
        };
        let mut request = ChooseRequest::usual(purpose);
        request.bears_n = bears_n;
        match self {
            Self::EarWires => {}
            Self::SensitiveEars => request.sensitive = true,
            Self::HeavyClasp | Self::ChainLinks => request.worn = Some(Worn::Skin),
            Self::FineBeads => request.hole_mm = Some(0.7),
            Self::Practice => {
                request.maker = Maker::Practising;
                request.matters = Some(Matters::Price);
            }
            Self::Fusing => request.joined = Joined::Fused,
            Self::MemoryCoil => {
                request.worn = Some(Worn::Skin);
                request.springs = true;
            }
        }
        request
    }
}

impl ChooseRequest {
    /// For a piece alone: nothing hangs on it, by confident hands, neither finished nor joined.
    pub fn of(purpose: Piece) -> Self {
        Self {
            purpose,
            worn: None,
            sensitive: false,
            bears_n: 0.0,
            hole_mm: None,
            springs: false,
            finish: Finish::Left,
            joined: Joined::Not,
            maker: Maker::Confident,
            matters: None,
            most_each: None,
        }
    }

    /// For a piece of which no more is said: it holds what a light earring weighs, and is polished.
    ///
    /// ```
    /// use lorimant_core::pattern::{Kind, PatternRequest};
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::rack::choose::{ChooseRequest, Finish};
    ///
    /// let hook = PatternRequest::usual(Kind::called("hook clasps").unwrap());
    /// let asked = ChooseRequest::usual(Piece::Finding(hook));
    /// assert_eq!((asked.finish, asked.bears_n > 0.49), (Finish::Polished, true));
    /// ```
    pub fn usual(purpose: Piece) -> Self {
        Self { bears_n: USUAL_LOAD_N, finish: Finish::Polished, ..Self::of(purpose) }
    }

    /// What it must hold and the hole it goes through, as they are typed: `200 g`, `0.7 mm`; empty where there is none.
    pub fn typed(&self, unit: LengthUnit) -> (String, String) {
        let bears = if self.bears_n > 0.0 { load_told(self.bears_n) } else { String::new() };
        (bears, self.hole_mm.map(|hole| thickness(hole, unit)).unwrap_or_default())
    }

    /// The thickest that goes through the hole, mm, where there is one.
    pub(super) fn goes_through_mm(&self) -> Option<f64> {
        self.hole_mm.map(|hole| FILLS * hole)
    }

    /// Whether a wire goes through the hole: what is square by its corners.
    pub(super) fn passes(&self, wire: &Wire) -> bool {
        let across = match wire.section {
            Section::Square => std::f64::consts::SQRT_2 * wire.size_mm,
            _ => wire.size_mm,
        };
        self.goes_through_mm().is_none_or(|most| across <= most)
    }

    /// That it goes through, or not.
    pub(super) fn hole_told(&self, wire: &Wire, unit: LengthUnit) -> Option<String> {
        let hole = thickness(self.hole_mm?, unit);
        Some(text!("choose-hole-told", hole, passes = self.passes(wire)))
    }

    /// What a metal misses in ears or on skin that bear little: nickel, and copper in what it is made of.
    pub(super) fn irritates(&self, metal: Metal) -> f64 {
        if !self.sensitive {
            return 0.0;
        }
        match metal {
            Metal::Niobium | Metal::Titanium => 0.0,
            Metal::FineSilver => 0.3,
            Metal::Gold14k => 0.5,
            Metal::GoldFilled | Metal::GermaniumSilver => 0.9,
            _ if metal.figures().nickel != Nickel::Free || metal.figures().stains => 2.0,
            _ => 1.2,
        }
    }

    /// What a wire misses of what matters most.
    pub(super) fn matters_less(&self, wire: &Wire) -> f64 {
        match self.matters {
            None | Some(Matters::EasyToBend) => 0.0,
            Some(Matters::SilverLook) if wire.metal.looks_like_silver() => 0.0,
            Some(Matters::SilverLook) => 2.0,
            Some(Matters::Price) => dear(wire),
            Some(Matters::NoTarnish) => match wire.metal.tarnish() {
                Tarnish::Never => 0.0,
                Tarnish::Slowly => 0.9,
                Tarnish::Soon => 2.0,
            },
            Some(Matters::KeepsShape) => 2.5 * (1.0 - springs(wire) / SPRINGY).max(0.0),
        }
    }

    /// What a wire misses for practice, which is done in wire that costs little.
    pub(super) fn too_dear_for_practice(&self, wire: &Wire) -> f64 {
        if self.maker == Maker::Practising { dear(wire) / 2.0 } else { 0.0 }
    }

    /// What a wire misses that has to spring back from far.
    pub(super) fn springs_less(&self, wire: &Wire) -> f64 {
        if self.springs { 4.0 * (1.0 - springs(wire) / SPRING_WIRE).max(0.0) } else { 0.0 }
    }

    /// The same in a sentence; the hands have their own.
    pub(super) fn wish_told(&self, miss: f64) -> Option<String> {
        let well = miss < 0.3;
        Some(match self.matters? {
            Matters::EasyToBend => return None,
            Matters::SilverLook => text!("choose-wish-silver-look", well),
            Matters::Price => text!("choose-wish-price", well),
            Matters::NoTarnish => text!("choose-wish-no-tarnish", well, slowly = miss < 1.0),
            Matters::KeepsShape => text!("choose-wish-keeps-shape", well),
        })
    }
}

/// What a wire misses that costs many times what copper does.
fn dear(wire: &Wire) -> f64 {
    0.3 * wire.metal.times_the_price_of_copper().ln().max(0.0)
}

/// Strain of the outer fibre up to which wire springs all the way back: κ_y·h/2.
fn springs(wire: &Wire) -> f64 {
    Bending::of(wire).yield_curvature() * wire.profile().thickness_mm() / 2.0
}

/// That of wire that keeps its shape in wear, about: sterling silver that is hard.
const SPRINGY: f64 = 0.007;
/// That of wire that is sold for springs, about: 965 MPa of phosphor bronze over its modulus.
const SPRING_WIRE: f64 = 0.0088;
