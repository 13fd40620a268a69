//! The core's tests: one program, so that it is linked once.
#![allow(missing_docs)]

mod agenda;
mod agreement;
mod ask_lines;
mod batches;
mod blanks;
mod chain;
mod changes;
mod choosing;
mod common;
mod costs;
mod cut_plans;
mod drawings;
mod fields;
mod findings;
mod fits;
mod gear;
mod inches;
mod listings;
mod literal_maker;
mod loads;
mod mechanics;
mod orders;
mod patterns;
mod pliers;
mod reach;
mod rings;
mod scale_lines;
mod sheets;
mod sittings;
mod sizes;
mod stock;
mod surfaces;
mod wording;
mod words;
mod workings;
