//! Chain: rings linked in a weave. Everything about it follows from one thing: rings are tori that touch.
//!
//! [`weave`] says who links whom, [`relax`] and [`search`] work out how rings then lie, [`ladder`] keeps that by ratio. A
//! [`ChainRequest`] is what a maker says; a [`ChainPlan`] is what follows from it.

pub mod backwards;
pub mod change;
pub mod figures;
pub mod geometry;
pub mod ladder;
pub mod measured;
pub mod placing;
pub mod plan;
pub mod pose;
pub mod relax;
pub mod relaxed;
mod route;
pub mod search;
pub mod sentence;
pub mod sheet;
pub mod shipped;
pub mod solid;
pub mod strands;
pub mod taut;
pub mod torus;
pub mod weave;
pub mod weaves;

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span};
use crate::pattern::PatternRequest;
use crate::ring::RingRequest;
use crate::tool::mandrel::Shape;
use crate::wire::section::Section;
use crate::words::did_you_mean;
use lorimant_text::{Text, text};
pub use plan::ChainPlan;
pub use route::FinishedChain;
pub use taut::{RingSize, Suits, Taut};
use weave::Weave;

/// Most rings a chain may have.
pub const MOST_RINGS: u32 = 100_000;
/// Most chains of one plan.
pub const MOST_CHAINS: u32 = 1000;

/// What a maker asks for: a chain so long, in a weave, from rings planned as they are wound.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct ChainRequest {
    /// The weave's word, as `GET /api/weaves` lists them; for an own weave its name.
    pub weave: String,
    /// The weave itself, where it is a maker's own.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub own_weave: Option<Weave>,
    /// How its rings are made; their count is not read.
    pub ring: RingRequest,
    /// How the rings of the weave's second part are made, where they are of another wire or size.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub second_ring: Option<RingRequest>,
    /// How long it is worn, clasp included, mm.
    pub length_mm: f64,
    /// So much shorter it is made, since it gives in wear; negative for room to spare, mm.
    #[serde(default, skip_serializing_if = "is_zero")]
    pub ease_mm: f64,
    /// Its clasp; none if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub clasp: Option<PatternRequest>,
    /// Of a sheet: how many cells it is across, 1 to 200; 4 if left out.
    #[serde(default = "four", skip_serializing_if = "is_four")]
    pub across_n: u32,
    /// How many chains; 1 if left out.
    #[serde(default = "one")]
    pub chains_n: u32,
    /// Rings made besides, to be kept for mending; 4 if left out.
    #[serde(default = "four", skip_serializing_if = "is_four")]
    pub spares_n: u32,
    /// Share of the rings that is expected to be scrapped, 0 to 0.5; 0.03 if left out.
    #[serde(alias = "spoiled_share", default = "three_percent", skip_serializing_if = "is_three_percent")]
    pub scrap_share: f64,
}

#[expect(clippy::trivially_copy_pass_by_ref, reason = "serde hands over references")]
fn is_zero(value: &f64) -> bool {
    *value == 0.0
}

fn one() -> u32 {
    1
}

fn four() -> u32 {
    4
}

#[expect(clippy::trivially_copy_pass_by_ref, reason = "serde hands over references")]
fn is_four(n: &u32) -> bool {
    *n == 4
}

fn three_percent() -> f64 {
    0.03
}

#[expect(clippy::trivially_copy_pass_by_ref, reason = "serde hands over references")]
#[expect(clippy::float_cmp, reason = "the very value that is left out")]
fn is_three_percent(share: &f64) -> bool {
    *share == 0.03
}

impl ChainRequest {
    /// A chain of a weave of the trade from these rings, without a clasp.
    ///
    /// ```
    /// use lorimant_core::chain::ChainRequest;
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::RedBrass, 1.2, Temper::QuarterHard);
    /// let ring = RingRequest::new(wire, Mandrel::round(5.0), 1);
    /// let plan = ChainRequest::new("byzantine", ring, 420.0).plan().unwrap();
    /// // Six rings a cell, two of them shut beforehand.
    /// assert_eq!(plan.rings_n, 6 * plan.cells_n);
    /// assert_eq!(plan.pre_closed_n + plan.open_n, plan.rings_n);
    /// assert!((plan.chain_length_mm - 420.0).abs() < plan.repeat_mm);
    /// ```
    #[must_use]
    pub fn new(weave: &str, ring: RingRequest, length_mm: f64) -> Self {
        Self {
            weave: weave.to_owned(),
            own_weave: None,
            ring,
            second_ring: None,
            length_mm,
            ease_mm: 0.0,
            clasp: None,
            across_n: 4,
            chains_n: 1,
            spares_n: 4,
            scrap_share: 0.03,
        }
    }

    /// The weave asked for.
    ///
    /// # Errors
    /// A fault at `weave` where there is none of that name.
    pub fn design(&self) -> Result<&Weave, Faults> {
        if let Some(own) = &self.own_weave {
            return Ok(own);
        }
        known_weave(&self.weave)
    }

    /// Checks everything that can be checked before the rings are planned.
    ///
    /// # Errors
    /// Every fault found, each at its field.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        if let Some(own) = &self.own_weave {
            faults.nest("own_weave", own.check());
        } else {
            faults.keep(self.design());
        }
        let length =
            Span { noun: Text::named("chain-length-chain"), unit: " mm", least: 1.0, most: 100_000.0 };
        faults.keep(length.check("length_mm", self.length_mm));
        let ease = Span { noun: Text::named("chain-ease"), unit: " mm", least: -500.0, most: 500.0 };
        faults.keep(ease.check("ease_mm", self.ease_mm));
        let across =
            Span { noun: Text::named("chain-number-cells-across"), unit: "", least: 1.0, most: 200.0 };
        faults.keep(across.check("across_n", f64::from(self.across_n)));
        let most = f64::from(MOST_CHAINS);
        let chains = Span { noun: Text::named("chain-number-chains"), unit: "", least: 1.0, most };
        faults.keep(chains.check("chains_n", f64::from(self.chains_n)));
        let spares =
            Span { noun: Text::named("chain-number-spare-rings"), unit: "", least: 0.0, most: 10_000.0 };
        faults.keep(spares.check("spares_n", f64::from(self.spares_n)));
        let scrapped = Span { noun: Text::named("chain-scrap-share"), unit: "", least: 0.0, most: 0.5 };
        faults.keep(scrapped.check("scrap_share", self.scrap_share));
        for (at, ring) in [("ring", Some(&self.ring)), ("second_ring", self.second_ring.as_ref())] {
            let Some(ring) = ring else { continue };
            // Only round rings of round wire are tori.
            if ring.wire.section != Section::Round {
                let message = text!("chain-chains-calculated-for-round-wire");
                faults.add(Fault::new(format!("{at}.wire.section"), message));
            }
            if ring.mandrel.shape != Shape::Round {
                let message = text!("chain-chains-calculated-for-round-rings");
                faults.add(Fault::new(format!("{at}.mandrel.shape"), message));
            }
            if ring.hammered_mm.is_some() {
                let message = text!("chain-chains-calculated-for-plain-rings");
                faults.add(Fault::new(format!("{at}.hammered_mm"), message));
            }
        }
        if let (Some(_), Ok(design)) = (&self.second_ring, self.design())
            && design.parts().len() < 2
        {
            let message = text!("chain-all-rings-do-same-job", name = design.name);
            faults.add(Fault::new("second_ring", message));
        }
        if let Some(clasp) = &self.clasp {
            faults.nest("clasp", clasp.form().map(|_| ()));
        }
        faults.into_result()
    }
}

/// A weave of the trade by its word.
///
/// # Errors
/// A fault at `weave` that says which there are.
pub fn known_weave(word: &str) -> Result<&'static Weave, Faults> {
    if let Some(known) = weaves::by_word(word) {
        return Ok(&known.weave);
    }
    let words = || weaves::all().iter().map(|known| known.word);
    let known: Vec<&str> = words().collect();
    let message = text!(
        "chain-there-no-weave-weaves",
        word = word.chars().take(40).collect::<String>(),
        word2 = did_you_mean(word, words()),
        known = known.join(", ")
    );
    Err(Fault::new("weave", message).into())
}
