//! The rules and computation of a wire jeweller's bench.
//!
//! No input or output happens here: no files, no clock, no screen. Lengths are millimetres, stresses
//! megapascals, masses grams, unless a name says otherwise. A module uses only those below it in this
//! list; `cargo xtask test` holds it to that. Start at [`ring`] for jump rings, [`pattern`] for findings,
//! [`wire::bending`] for the mechanics under them, [`ask`] for what a person types.

pub mod ask;
pub mod bench;
pub mod chain;
pub mod chance;
pub mod drawing;
pub mod fault;
pub mod figure;
pub mod learn;
pub mod making;
pub mod order;
pub mod pattern;
pub mod piece;
pub mod rack;
pub mod reading;
pub mod ring;
pub mod shape;
pub mod tool;
pub mod wire;
pub mod words;
mod working;
