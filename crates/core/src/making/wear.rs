//! What a piece ought to bear where it is worn: a suggestion with its reasoning, not a rule.

use serde::Serialize;

use crate::figure::{Figure, Level, Question, figure};
use crate::words::{capital, words};
use crate::working::Numbers;
use lorimant_text::text;

words! {
    /// How a piece is worn.
    pub enum Wear ("wear") {
        /// In the ear, a light drop below it.
        Ear = "ear";
        /// A light necklace, about 30 g.
        LightNecklace = "light-necklace";
        /// A heavy necklace, about 120 g.
        HeavyNecklace = "heavy-necklace";
        /// A bracelet, which snags.
        Bracelet = "bracelet";
    }
}

/// What a piece ought to bear, worn so.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct RequiredLoad {
    /// How it is worn.
    pub wear: Wear,
    /// What it ought to bear before it first stays open a little, N.
    pub least_n: f64,
    /// Why so much.
    pub why: &'static str,
    /// Whether it does, by what it holds.
    pub bears: bool,
}

impl Wear {
    /// What clasps, links and rings between them may be worn as.
    pub const AROUND: [Self; 3] = [Self::LightNecklace, Self::HeavyNecklace, Self::Bracelet];

    /// What a piece ought to bear, N, and why. Weights and jerks are trade experience, estimates.
    #[must_use]
    pub fn least_n(self) -> (f64, &'static str) {
        match self {
            Self::Ear => (1.0, text!("wear-10-g-drop-jerked-at")),
            Self::LightNecklace => (3.0, text!("wear-30-g-jerked-at-ten")),
            Self::HeavyNecklace => (12.0, text!("wear-120-g-jerked-at-ten")),
            Self::Bracelet => (20.0, text!("wear-bracelet-catches-on-sleeves-handles")),
        }
    }

    /// The same of a piece that first stays open at a load, N.
    ///
    /// ```
    /// use lorimant_core::making::wear::Wear;
    ///
    /// assert!(Wear::LightNecklace.ought(5.0).bears);
    /// assert!(!Wear::Bracelet.ought(5.0).bears);
    /// ```
    #[must_use]
    pub fn ought(self, first_set_n: f64) -> RequiredLoad {
        let (least_n, why) = self.least_n();
        RequiredLoad { wear: self, least_n, why, bears: first_set_n >= least_n }
    }
}

/// The most demanding way it may be worn: `light necklace`; `practice` where it bears none.
///
/// ```
/// use lorimant_core::making::wear::{Wear, fit_for};
///
/// let ought: Vec<_> = Wear::AROUND.iter().map(|wear| wear.ought(5.0)).collect();
/// assert_eq!(fit_for(&ought), "light necklace");
/// ```
#[must_use]
pub fn fit_for(ought: &[RequiredLoad]) -> &'static str {
    let bears = ought.iter().rfind(|one| one.bears);
    bears.map_or("practice", |one| one.wear.shown().trim_start_matches("a "))
}

/// What a piece that first stays open at a load is fit for; none where nothing pulls at it.
pub(crate) fn ought_to_bear(worn: &[Wear], first_set_n: f64) -> Option<Figure> {
    let ought: Vec<RequiredLoad> = worn.iter().map(|wear| wear.ought(first_set_n)).collect();
    let why: Vec<String> = ought
        .iter()
        .map(|one| format!("{}: {:.0} N. {}", capital(one.wear.shown()), one.least_n, one.why))
        .collect();
    let first = ought.first()?;
    let mut fit = figure(
        "required",
        Question::WillItHold,
        text!("wear-strong-enough-for"),
        fit_for(&ought).to_owned(),
        "",
    )
    .says(text!("wear-what-should-hold-before-starts"))
    .formula(text!("wear-starts-open-against-what-worn"), Numbers::told(why.join(" ")))
    .assumes(
        text!("wear-jerk-pulls-with-ten-times"),
        text!("wear-as-uncertain-as-strength-itself"),
        text!("wear-trade-experience"),
    );
    fit.level = (!first.bears).then_some(Level::Watch);
    Some(fit)
}
