//! What a finished piece holds.

use serde::Serialize;

use crate::wire::strength::load_told;
use lorimant_text::text;

/// What a finished piece holds, pulled across. Estimates of plastic bending, ± 40 %, not a rating.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Holds {
    /// Load at which a tenth of a millimetre stays open, N: about 0.6 of the collapse.
    pub first_set_n: f64,
    /// Load at which it comes off: it opens by its neighbour's wire. Of a closed piece, at which it is pulled out of shape.
    pub pulls_open_n: f64,
    /// Whether it is closed for good, so that it does not open but is drawn long.
    pub closed: bool,
}

/// Share of the collapse load at which a bend first stays open a little.
pub(crate) const FIRST_SET: f64 = 0.6;

impl Holds {
    /// Of a collapse load, N.
    ///
    /// ```
    /// use lorimant_core::making::holds::Holds;
    ///
    /// let open = Holds::of(10.0, false);
    /// assert!(open.first_set_n < open.pulls_open_n);
    /// ```
    #[must_use]
    pub fn of(collapse_n: f64, closed: bool) -> Self {
        Self { first_set_n: FIRST_SET * collapse_n, pulls_open_n: collapse_n, closed }
    }

    /// In words: `first set at 4.1 N (418 g), comes off at 6.8 N (693 g)`.
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
