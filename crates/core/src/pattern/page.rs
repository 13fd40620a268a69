//! The page a pattern has to itself: what it is for, which wire and why, what goes wrong.

use lorimant_text::Text;
use serde::Serialize;

/// What a maker wants to know before making one.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Page {
    /// What it is for.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub purpose: Text,
    /// Usual sizes and tempers, and why.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub wires: Text,
    /// Faults that come up, each with its cause.
    pub faults: &'static [Mishap],
}

/// Something that comes out wrong, and why.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Mishap {
    /// What is seen.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub seen: Text,
    /// What it comes from.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub cause: Text,
}

impl Mishap {
    /// What is seen and what it comes from.
    pub const fn new(seen: Text, cause: Text) -> Self {
        Self { seen, cause }
    }
}
