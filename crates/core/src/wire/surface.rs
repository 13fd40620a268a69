//! What lies on the metal of a wire.

use crate::words::words;

words! {
    /// What lies on the metal of a wire.
    pub enum Surface ("surface") {
        /// Nothing.
        Bare = "bare", "bare";
        /// A plated skin, about a hundredth, that scrapes off under tools.
        Plated = "plated", "plated";
        /// A rolled-on skin, about ten times as thick as plating.
        Filled = "filled", "filled";
        /// Enamel or lacquer; must not be heated.
        Coated = "coated", "coated";
        /// Zinc on steel; must not be heated.
        Galvanised = "galvanised", "galvanised";
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
            Self::Plated => "its plating would melt into the core or burn off",
            Self::Coated => "its enamel or lacquer would burn and give off poisonous fumes",
            Self::Galvanised => "its zinc would burn to poisonous fumes",
        };
        Err(format!("{self} wire is never heated: {why}. Use bare wire, or leave the torch out."))
    }
}
