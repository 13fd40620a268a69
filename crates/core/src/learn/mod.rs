//! Checking what was made, and learning from it: what a piece measures, whether it passes, what that says of the lot, the
//! blank, the jaws and the hand.

pub mod cause;
pub mod chart;
pub mod check;
pub mod dimension;
mod doubt;
mod half_made;
pub mod jaw;
pub mod lot;
pub mod measured;
pub mod pairs;
pub mod practice;
pub mod reading;
pub mod rescue;
pub mod rod;
pub mod sheet;
pub mod simulated;
pub mod spread;
pub mod trial;
