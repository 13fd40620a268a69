//! Checking what was made, and learning from it: what a piece measures, whether it passes, what that says of the lot, the
//! blank, the jaws and the hand.

pub mod lot;
pub mod simulated;
