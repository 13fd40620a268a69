//! What lies on the metal of a wire.

use crate::words::words;
use lorimant_text::text;

words! {
    /// What lies on the metal of a wire.
    pub enum Surface ("surface") {
        /// Nothing.
        Bare = "bare";
        /// A plated skin, about a hundredth, that scrapes off under tools.
        Plated = "plated";
        /// A rolled-on skin, about ten times as thick as plating.
        Filled = "filled";
        /// Enamel or lacquer; must not be heated.
        Coated = "coated";
        /// Zinc on steel; must not be heated.
        Galvanised = "galvanised";
    }
}

impl Surface {
    /// Whether a skin of another metal lies on the wire, whose share of the weight can be said.
    ///
    /// ```
    /// use lorimant_core::wire::surface::Surface;
    ///
    /// assert!(Surface::Plated.is_skin() && !Surface::Coated.is_skin());
    /// ```
    #[must_use]
    pub fn is_skin(self) -> bool {
        matches!(self, Self::Plated | Self::Filled)
    }

    /// Whether it bears a torch.
    ///
    /// ```
    /// use lorimant_core::wire::surface::Surface;
    ///
    /// assert!(Surface::Filled.bears_heat().is_ok(), "gently");
    /// assert!(Surface::Coated.bears_heat().unwrap_err().contains("enamel"));
    /// ```
    ///
    /// # Errors
    /// Why it must never be heated, in a sentence.
    pub fn bears_heat(self) -> Result<(), String> {
        let why = match self {
            Self::Bare | Self::Filled => return Ok(()),
            Self::Plated => text!("surface-its-plating-would-melt-into"),
            Self::Coated => text!("surface-its-enamel-or-lacquer-would"),
            Self::Galvanised => text!("surface-its-zinc-would-burn-poisonous"),
        };
        Err(text!("surface-wire-never-heated-use-bare", self, why))
    }
}
