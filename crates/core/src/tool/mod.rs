//! What a workshop owns: rods, pliers, ways of cutting and blades, and how it reads numbers.

pub mod coil;
pub mod cutting;
pub mod gear;
pub mod hand;
pub mod mandrel;
pub mod method;
pub mod outline;
pub mod plier;
pub mod questions;
pub mod tolerance;
pub mod workshop;
