//! The page a pattern has to itself: what it is for, which wire and why, what goes wrong.

use serde::Serialize;

/// What a maker wants to know before making one.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Page {
    /// What it is for.
    pub purpose: &'static str,
    /// Usual sizes and tempers, and why.
    pub wires: &'static str,
    /// Faults that come up, each with its cause.
    pub faults: &'static [Mishap],
}

/// Something that comes out wrong, and why.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Mishap {
    /// What is seen.
    pub seen: &'static str,
    /// What it comes from.
    pub cause: &'static str,
}

impl Mishap {
    /// What is seen and what it comes from.
    pub const fn new(seen: &'static str, cause: &'static str) -> Self {
        Self { seen, cause }
    }
}
