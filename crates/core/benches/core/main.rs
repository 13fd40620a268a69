//! How long the core takes; one program, so that it is built and linked once. `cargo bench -p lorimant-core -- chains` runs
//! one of them.
#![allow(missing_docs, clippy::unwrap_used)]

mod chains;
mod learning;
mod patterns;
mod rack;
mod rings;
mod schedule;

use criterion::{criterion_group, criterion_main};

criterion_group!(
    benches,
    chains::benches,
    learning::learning,
    patterns::benches,
    rack::benches,
    rings::benches,
    schedule::benches
);
criterion_main!(benches);
