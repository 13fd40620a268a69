//! What a finished piece holds.

use serde::Serialize;

use crate::wire::opening::Opening;
use crate::wire::strength::load_told;
use lorimant_text::text;

/// What a finished piece holds, pulled across. Estimates of plastic bending, ± 40 %, not a rating.
#[derive(Debug, Clone, Copy, PartialEq, Default, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Holds {
    /// Load at which a tenth of a millimetre stays open, N.
    pub first_set_n: f64,
    /// Load at which it comes off: it opens by its neighbour's wire. Of a closed piece, at which it is pulled out of shape.
    pub pulls_open_n: f64,
    /// Whether it is closed for good, so that it does not open but is drawn long.
    pub closed: bool,
}

/// How far off what it holds may be, as a share: 15 % from the metal, the rest from tools and the place of the gap.
const SPREAD: f64 = 0.4;
/// Share of the collapse load at which a piece closed for good first stays drawn long a little. An estimate.
const CLOSED_FIRST_SET: f64 = 0.6;

impl Holds {
    /// Of a piece that opens: of its collapse load, N, and what of that opens it.
    ///
    /// ```
    /// use lorimant_core::making::holds::Holds;
    /// use lorimant_core::wire::opening::Opening;
    ///
    /// let holds = Holds::open(10.0, Opening { first_set: 0.8, pulls_open: 1.1 });
    /// assert_eq!((holds.first_set_n, holds.pulls_open_n), (8.0, 11.0));
    /// ```
    #[must_use]
    pub fn open(collapse_n: f64, opening: Opening) -> Self {
        let Opening { first_set, pulls_open } = opening;
        Self { first_set_n: first_set * collapse_n, pulls_open_n: pulls_open * collapse_n, closed: false }
    }

    /// Of a piece that is closed for good: of its collapse load, N.
    ///
    /// ```
    /// use lorimant_core::making::holds::Holds;
    ///
    /// let ring = Holds::closed(10.0);
    /// assert!(ring.first_set_n < ring.pulls_open_n);
    /// ```
    #[must_use]
    pub fn closed(collapse_n: f64) -> Self {
        Self { first_set_n: CLOSED_FIRST_SET * collapse_n, pulls_open_n: collapse_n, closed: true }
    }

    /// What it bears for sure before it starts to open, N: the lower end of the ±.
    #[must_use]
    pub fn surely_n(&self) -> f64 {
        (1.0 - SPREAD) * self.first_set_n
    }

    /// What it may hold before it comes off, N: the upper end of the ±.
    #[must_use]
    pub fn at_most_n(&self) -> f64 {
        (1.0 + SPREAD) * self.pulls_open_n
    }

    /// Of several alike that share a load.
    #[must_use]
    pub fn times(self, strands: f64) -> Self {
        Self { first_set_n: strands * self.first_set_n, pulls_open_n: strands * self.pulls_open_n, ..self }
    }

    /// In words: `starts to open at about 420 g, pulls open at about 690 g`.
    #[must_use]
    pub fn told(&self) -> String {
        let (first, last) = (load_told(self.first_set_n), load_told(self.pulls_open_n));
        if self.closed {
            text!("holds-closed-for-good-pulls-out", last)
        } else {
            text!("holds-starts-open-at-pulls-open", first, last)
        }
    }
}
