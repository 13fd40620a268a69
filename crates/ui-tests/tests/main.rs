//! The interface's tests: one program, so that it is linked once and its tests run side by side to the end.
#![allow(missing_docs)]

mod access;
mod bench;
mod chains;
mod checks;
mod hands;
mod jobs;
mod kept;
mod losses;
mod making;
mod orders;
mod patterns;
mod pseudo;
mod rack;
mod rings;
mod sign_in;
mod today;
mod tools;
