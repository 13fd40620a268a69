//! Patterns: the findings the trade makes, each a parametric design of bends.
//!
//! A [`Pattern`] is one file under [`kinds`] and one line in its list. A [`PatternRequest`] is what a
//! maker asks for; [`form`] makes the wire's way through space of it, and from that follow blank,
//! marks, steps, checks and drawings.

pub mod as_coil;
pub mod backwards;
pub mod blank;
pub mod cad;
pub mod change;
pub mod check;
pub mod compare;
pub mod design;
pub mod drawn;
pub mod figures;
pub mod finished;
pub mod form;
pub mod from_tools;
mod kind;
pub mod kinds;
pub mod mark;
pub mod measure;
pub mod page;
mod parameter;
pub mod part;
pub mod pull;

mod reach;
mod remake;
mod route;
pub mod sentence;
pub mod sheet;
pub mod slipped;
pub mod spread;
pub mod transfer;
mod writing;

use std::collections::BTreeMap;

pub use kind::{Family, Free, Kind, Pattern, UsualWire, Worn};
pub(crate) use parameter::tidy;
pub use parameter::{Parameter, Unit, Usual};
use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span};
use crate::making::Changes;
use crate::wire::Wire;
use crate::words::length::shown;
use crate::words::{capital, did_you_mean, quoted};
use lorimant_text::{Text, text};

/// What is taken off or held at the ends of a blank; usual shares of the wire's thickness if left out.
#[derive(Debug, Clone, PartialEq, Default, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct BlankEnds {
    /// Trimmed flush at each end, mm; 0.6 thicknesses if left out.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub trim_mm: Option<f64>,
    /// Filed or rounded off each end, mm; 0.15 thicknesses if left out.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub filing_mm: Option<f64>,
    /// Tail to hold at each end that needs one, mm; what the pattern needs if left out.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub tail_mm: Option<f64>,
}

impl BlankEnds {
    const LOSS: Span = Span { noun: Text::named("pattern-loss-at-end"), unit: " mm", least: 0.0, most: 20.0 };
    const TAIL: Span = Span { noun: Text::named("pattern-tail"), unit: " mm", least: 0.0, most: 200.0 };

    fn check(&self, faults: &mut Faults) {
        for (span, field, value) in [
            (&Self::LOSS, "ends.trim_mm", self.trim_mm),
            (&Self::LOSS, "ends.filing_mm", self.filing_mm),
            (&Self::TAIL, "ends.tail_mm", self.tail_mm),
        ] {
            if let Some(value) = value {
                faults.keep(span.check(field, value));
            }
        }
    }
}

/// What a maker asks for: so many of a pattern, in a wire.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct PatternRequest {
    /// Which pattern.
    pub kind: Kind,
    /// What is chosen about it, by name; what is left out is as usual. See `/api/finding-kinds`.
    #[serde(default)]
    pub parameters: BTreeMap<String, f64>,
    /// The wire.
    pub wire: Wire,
    /// How many pieces, or pairs of what is counted in pairs: 1 to 100 000; 1 if left out.
    #[serde(default = "one")]
    pub pieces_n: u32,
    /// Whether single pieces are counted, though the pattern is usually counted in pairs.
    #[serde(alias = "singly", default, skip_serializing_if = "std::ops::Not::not")]
    pub count_singles: bool,
    /// Whether it is made the other way round, as in a mirror.
    #[serde(default, skip_serializing_if = "std::ops::Not::not")]
    pub mirrored: bool,
    /// The plier to roll on, by its name in the workshop; the one that suits each bend if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub plier: Option<String>,
    /// What is lost or held at the ends.
    #[serde(default)]
    pub ends: BlankEnds,
    /// How much longer its blank must be than its parts add up to, as trials have shown; negative for shorter, mm.
    #[serde(default, skip_serializing_if = "is_nothing")]
    pub allowance_mm: f64,
    /// What is changed about the route of this plan.
    #[serde(default, skip_serializing_if = "Changes::is_empty")]
    pub route: Changes,
}

fn one() -> u32 {
    1
}

#[expect(clippy::trivially_copy_pass_by_ref, reason = "serde asks so")]
fn is_nothing(mm: &f64) -> bool {
    *mm == 0.0
}

/// Most pieces one request may have.
pub const MOST_PIECES: u32 = 100_000;

impl PatternRequest {
    const ALLOWANCE: Span =
        Span { noun: Text::named("pattern-allowance"), unit: " mm", least: -20.0, most: 20.0 };

    /// One of a pattern as it is usually made.
    pub fn usual(kind: Kind) -> Self {
        Self {
            kind,
            parameters: BTreeMap::new(),
            wire: kind.0.usual(),
            pieces_n: 1,
            count_singles: false,
            mirrored: false,
            plier: None,
            ends: BlankEnds::default(),
            allowance_mm: 0.0,
            route: Changes::default(),
        }
    }

    /// The value of a parameter, chosen or usual; 0 for one the pattern does not have.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// assert_eq!(hook.value("eye_mm"), hook.kind.0.parameter("eye_mm").unwrap().default);
    /// ```
    pub fn value(&self, name: &str) -> f64 {
        let usual = || self.kind.0.parameter(name).map_or(0.0, |parameter| parameter.usual_in(self));
        self.parameters.get(name).copied().unwrap_or_else(usual)
    }

    /// The same with every value said, so that it stays this piece whatever becomes usual later.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap()).settled();
    /// assert_eq!(hook.parameters["eye_mm"], hook.value("eye_mm"));
    /// ```
    #[must_use]
    pub fn settled(mut self) -> Self {
        for parameter in self.kind.0.parameters {
            if !self.parameters.contains_key(parameter.name) {
                self.parameters.insert(parameter.name.to_owned(), parameter.usual_in(&self));
            }
        }
        self
    }

    /// Whether its count is of pairs.
    pub fn in_pairs(&self) -> bool {
        self.kind.0.paired && !self.count_singles
    }

    /// Blanks to cut: two for a pair.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let hooks = PatternRequest { pieces_n: 24, ..PatternRequest::usual("open-ear-wire".parse().unwrap()) };
    /// assert_eq!(hooks.blanks_n(), 48, "24 pairs");
    /// ```
    pub fn blanks_n(&self) -> u32 {
        if self.in_pairs() { 2 * self.pieces_n } else { self.pieces_n }
    }

    /// Its count in words: `24 pairs`, `1 piece`.
    pub fn count_shown(&self) -> String {
        match (self.pieces_n, self.in_pairs()) {
            (1, true) => text!("pattern-1-pair").to_owned(),
            (1, false) => text!("pattern-1-piece").to_owned(),
            (n, true) => text!("pattern-pairs", n),
            (n, false) => text!("pattern-pieces", n),
        }
    }

    /// Its wraps as a bag says them: `3, counted as full turns`; none where it has none.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let link = PatternRequest::usual("wrapped-loop-link".parse().unwrap());
    /// assert_eq!(link.wraps_told().as_deref(), Some("2.5, full turns"));
    /// assert_eq!(PatternRequest::usual("eye-pin".parse().unwrap()).wraps_told(), None);
    /// ```
    #[must_use]
    pub fn wraps_told(&self) -> Option<String> {
        self.kind.0.parameter("wraps_n")?;
        let rule = part::COUNTED.get(usize::from(self.value("counted") > 0.5)).copied().unwrap_or_default();
        Some(format!("{}, {rule}", shown(self.value("wraps_n"), 2)))
    }

    /// Checks everything that can be checked before the wire is laid.
    ///
    /// # Errors
    /// Every fault found, each at its field.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.nest("wire", self.wire.check());
        let pattern = self.kind.0;
        for (name, value) in &self.parameters {
            match pattern.parameter(name) {
                Some(parameter) => {
                    faults.keep(parameter.check(*value));
                }
                None => {
                    let known: Vec<&str> = pattern.parameters.iter().map(|p| p.name).collect();
                    let message = text!(
                        "pattern-has-no-known",
                        name = capital(pattern.name.as_str()),
                        name2 = quoted(name),
                        name3 = did_you_mean(name, known.iter().copied()),
                        known = known.join(", ")
                    );
                    let field: String = name.chars().take(40).collect();
                    faults.add(Fault::new(format!("parameters.{field}"), message));
                }
            }
        }
        if self.pieces_n == 0 || self.pieces_n > MOST_PIECES {
            let message = text!("pattern-pieces-cannot-be-planned-at", pieces_n = self.pieces_n, MOST_PIECES);
            let limit = if self.pieces_n == 0 { 1.0 } else { f64::from(MOST_PIECES) };
            faults.add(Fault::new("pieces_n", message).limit(limit));
        }
        self.ends.check(&mut faults);
        faults.keep(Self::ALLOWANCE.check("allowance_mm", self.allowance_mm));
        faults.into_result()
    }
}
