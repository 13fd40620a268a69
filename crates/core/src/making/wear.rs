//! What a piece ought to bear where it is worn: a suggestion with its reasoning, not a rule.

use serde::Serialize;

use super::holds::Holds;
use crate::figure::{Figure, Level, Question, figure};
use crate::wire::strength::weight_that_pulls;
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
    /// What it ought to have opened at, N, where something else would give first.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub most_n: Option<f64>,
    /// Why so much.
    pub why: &'static str,
    /// Whether it does, by the lower end of what it holds.
    pub bears: bool,
    /// Whether it may hold longer than it ought to, by the upper end of what it holds.
    pub too_strong: bool,
}

/// An earring that catches should open before it hurts an ear: N, about two and a half kilograms. An estimate of ours, well
/// below what ear lobes are thought to bear; there is no safe number.
const EAR_MOST_N: f64 = 25.0;

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

    /// The same of a piece that holds so much. The whole ± of that has to lie on the right side.
    ///
    /// ```
    /// use lorimant_core::making::holds::Holds;
    /// use lorimant_core::making::wear::Wear;
    ///
    /// let holds = Holds { first_set_n: 6.0, pulls_open_n: 8.0, closed: false };
    /// assert!(Wear::LightNecklace.ought(holds).bears);
    /// // It starts to open at 6 N ± 40 %, so that 4 N may be too much.
    /// assert!(!Wear::Bracelet.ought(holds).bears);
    /// // An ear must not be what gives.
    /// let strong = Holds { pulls_open_n: 40.0, ..holds };
    /// assert!(Wear::Ear.ought(strong).too_strong && !Wear::LightNecklace.ought(strong).too_strong);
    /// ```
    #[must_use]
    pub fn ought(self, holds: Holds) -> RequiredLoad {
        let (least_n, why) = self.least_n();
        let most_n = (self == Self::Ear).then_some(EAR_MOST_N);
        RequiredLoad {
            wear: self,
            least_n,
            most_n,
            why,
            bears: holds.surely_n() >= least_n,
            too_strong: most_n.is_some_and(|most| holds.at_most_n() > most),
        }
    }
}

/// The most demanding way it may be worn: `light necklace`; `practice` where it bears none.
///
/// ```
/// use lorimant_core::making::holds::Holds;
/// use lorimant_core::making::wear::{Wear, fit_for};
///
/// let holds = Holds { first_set_n: 6.0, pulls_open_n: 8.0, closed: false };
/// let ought: Vec<_> = Wear::AROUND.iter().map(|wear| wear.ought(holds)).collect();
/// assert_eq!(fit_for(&ought), "light necklace");
/// ```
#[must_use]
pub fn fit_for(ought: &[RequiredLoad]) -> &'static str {
    let bears = ought.iter().rfind(|one| one.bears);
    match bears.map(|one| one.wear) {
        None => text!("wear-fit-practice"),
        Some(Wear::Ear) => text!("wear-fit-ear"),
        Some(Wear::LightNecklace) => text!("wear-fit-light-necklace"),
        Some(Wear::HeavyNecklace) => text!("wear-fit-heavy-necklace"),
        Some(Wear::Bracelet) => text!("wear-fit-bracelet"),
    }
}

/// What a piece that holds so much is fit for; none where nothing pulls at it.
pub(crate) fn ought_to_bear(worn: &[Wear], holds: Holds) -> Option<Figure> {
    let ought: Vec<RequiredLoad> = worn.iter().map(|wear| wear.ought(holds)).collect();
    let why: Vec<String> = ought
        .iter()
        .map(|one| format!("{}: {:.0} N. {}", capital(one.wear.shown()), one.least_n, one.why))
        .collect();
    let first = ought.first()?;
    let (label, value, unit) = if ought.iter().any(|one| one.too_strong) {
        let (weight, unit) = weight_that_pulls(holds.pulls_open_n);
        (text!("wear-too-strong-for-ear"), weight, unit)
    } else {
        (text!("wear-strong-enough-for"), fit_for(&ought).to_owned(), "")
    };
    let mut fit = figure("required", Question::WillItHold, label, value, unit)
        .says(text!("wear-what-should-hold-before-starts"))
        .formula(text!("wear-starts-open-against-what-worn"), Numbers::told(why.join(" ")))
        .assumes(
            text!("wear-jerk-pulls-with-ten-times"),
            text!("wear-as-uncertain-as-strength-itself"),
            text!("wear-trade-experience"),
        );
    fit.level = (!first.bears || first.too_strong).then_some(Level::Watch);
    Some(fit)
}
