//! The rules and computation of a wire jeweller's bench.
//!
//! No input or output happens here: no files, no clock, no screen. Lengths are millimetres, stresses
//! megapascals, masses grams, unless a name says otherwise. Start at [`ring`] for jump rings,
//! [`pattern`] for findings, [`bending`] for the mechanics under them, [`sentence`] and [`ask`] for the words.

pub mod ask;
pub mod bending;
pub mod choose;
pub mod coil;
pub mod cost;
pub mod cut_plan;
pub mod cutting;
pub mod drawing;
pub mod fault;
pub mod figure;
pub mod finding;
pub mod gauge;
pub mod length;
pub mod listing;
pub mod mandrel;
pub mod metal;
pub mod pattern;
pub mod plier;
pub mod ring;
pub mod section;
pub mod sentence;
pub mod stock;
pub mod strength;
pub mod wire;
pub mod words;
pub mod workshop;
