//! The spool a wire is taken from, and how it springs against the handbook.

use serde::{Deserialize, Serialize};

use super::metal::{FLOW_STRESS_SPREAD, MODULUS_SPREAD};
use crate::fault::{Fault, Span};
use lorimant_text::{Text, fixed, text};

/// A spool of the rack as plans name it, with the one unknown of its springback: the factor on the flow stress, as a
/// share of the modulus.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct LotFactor {
    /// Its number on the rack.
    pub lot_n: i64,
    /// How much stronger than the handbook it is, as a factor, 0.2 to 3; 1 if left out. The workshop fills in what it has learned.
    #[serde(default = "as_the_handbook")]
    pub flow: f64,
    /// One standard deviation of that factor; the handbook's if left out.
    #[serde(default = "unmeasured")]
    pub spread: f64,
}

fn as_the_handbook() -> f64 {
    1.0
}

/// Springback knows stress only as a share of the modulus, so both spreads are one: metal as bought.
fn unmeasured() -> f64 {
    HANDBOOK_SPREAD
}

/// One standard deviation of the factor of a lot that was not measured: flow stress ± 15 %, modulus ± 3 %, in squares.
pub const HANDBOOK_SPREAD: f64 = {
    // The square root of 0.15² + 0.03², which cannot be taken in a constant.
    let (root, squares) =
        (0.152_970_585_407_784, FLOW_STRESS_SPREAD * FLOW_STRESS_SPREAD + MODULUS_SPREAD * MODULUS_SPREAD);
    assert!(root * root - squares < 1e-12 && squares - root * root < 1e-12, "usual handbook spread");
    root
};

impl LotFactor {
    /// A lot nobody measured.
    ///
    /// ```
    /// use lorimant_core::wire::lot::{HANDBOOK_SPREAD, LotFactor};
    ///
    /// assert_eq!((LotFactor::unmeasured(5).flow, LotFactor::unmeasured(5).spread), (1.0, HANDBOOK_SPREAD));
    /// ```
    #[must_use]
    pub fn unmeasured(lot_n: i64) -> Self {
        Self { lot_n, flow: as_the_handbook(), spread: unmeasured() }
    }

    /// Whether anything was learned of it.
    #[must_use]
    pub fn is_measured(self) -> bool {
        self.spread < HANDBOOK_SPREAD - 1e-9
    }

    const FLOW: Span = Span { noun: Text::named("wire-lot-lot-factor"), unit: "", least: 0.2, most: 3.0 };
    const SPREAD: Span =
        Span { noun: Text::named("wire-lot-spread-lot-factor"), unit: "", least: 0.0, most: 1.0 };

    /// Checks its figures.
    ///
    /// # Errors
    /// A fault at the first that is out of its limits, or at a number no lot has.
    pub fn check(self) -> Result<(), Fault> {
        if self.lot_n < 1 {
            let message = text!("wire-lot-there-no-lot-number-lots", lot_n = self.lot_n);
            return Err(Fault::new("lot_n", message).limit(1.0));
        }
        Self::FLOW.check("flow", self.flow)?;
        Self::SPREAD.check("spread", self.spread).map(|_| ())
    }

    /// What is learned of it, in a few words: `springs back 8 % more than usual for this metal, ± 2 %`.
    ///
    /// ```
    /// use lorimant_core::wire::lot::LotFactor;
    ///
    /// assert_eq!(LotFactor { lot_n: 5, flow: 1.08, spread: 0.02 }.told(), "springs back 8 % more than usual for this metal, ± 2 %");
    /// assert_eq!(LotFactor::unmeasured(5).told(), "not measured: ± 15 %, as in handbooks");
    /// ```
    #[must_use]
    pub fn told(self) -> String {
        let spread = 100.0 * self.spread;
        if !self.is_measured() {
            return text!("wire-lot-not-measured-as-in-handbooks", spread = fixed(spread, 0));
        }
        match 100.0 * (self.flow - 1.0) {
            off if off >= 0.5 => {
                text!("wire-lot-springs-back-more-than-usual", off = fixed(off, 0), spread = fixed(spread, 0))
            }
            off if off <= -0.5 => {
                text!(
                    "wire-lot-springs-back-less-than-usual",
                    off = fixed(-off, 0),
                    spread = fixed(spread, 0)
                )
            }
            _ => text!("wire-lot-springs-back-as-usual-for", spread = fixed(spread, 0)),
        }
    }

    /// Reads a lot as people name it: `off lot 5`, `lot 5`, `5`; nothing for `any`, `no`.
    ///
    /// # Errors
    /// A fault at `wire.lot.lot_n` where it is neither.
    pub fn read(text: &str) -> Result<Option<i64>, Fault> {
        let typed = text.trim().to_lowercase();
        let typed = typed.trim_start_matches("off").trim().trim_start_matches("lot").trim();
        if matches!(typed, "any" | "any spool" | "any lot" | "no" | "none" | "") {
            return Ok(None);
        }
        let read = typed.parse::<i64>().ok().filter(|n| *n > 0);
        read.map(Some).ok_or_else(|| {
            let message = text!("wire-lot-not-lot-enter-its-number", text = crate::words::quoted(text));
            Fault::new("wire.lot.lot_n", message)
        })
    }

    /// What to say of another lot that is about to be cut for a plan of this one; nothing of this one itself.
    ///
    /// ```
    /// use lorimant_core::wire::lot::LotFactor;
    ///
    /// assert_eq!(LotFactor::unmeasured(5).instead(5), None);
    /// assert_eq!(LotFactor::unmeasured(5).instead(6).as_deref(), Some("not lot 5, which it is planned for"));
    /// ```
    #[must_use]
    pub fn instead(self, lot_n: i64) -> Option<String> {
        (self.lot_n != lot_n).then(|| text!("wire-lot-not-lot-which-planned-for", lot_n = self.lot_n))
    }

    /// As sentences name it: `from lot 5`.
    ///
    /// ```
    /// use lorimant_core::wire::lot::LotFactor;
    ///
    /// assert_eq!(LotFactor::unmeasured(5).shown(), "from lot 5");
    /// ```
    #[must_use]
    pub fn shown(self) -> String {
        text!("wire-lot-from-lot", lot_n = self.lot_n)
    }
}
