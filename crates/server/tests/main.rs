//! The server's tests: one program, so that it is linked once.
#![allow(missing_docs)]

mod bench;
mod chains;
mod checks;
mod common;
mod crash;
mod cutting;
mod file;
mod findings_paper;
mod guard;
mod labels;
mod ledger;
mod making;
mod migrations;
mod network;
mod orders;
mod paper;
mod paper_agrees;
mod patterns;
mod plans;
mod printed;
mod progress;
mod rack;
mod rack_files;
mod refusals;
mod restores;
mod rings;
mod strangers;
mod undoing;
mod whole;
