//! Works out the poses that ship, of every weave of the trade at a ladder of ratios, and writes them as
//! `src/chain/poses.txt` has them:
//!
//! ```text
//! cargo run --release -p lorimant-core --example poses > crates/core/src/chain/poses.txt
//! ```
//!
//! Words of weaves after it work out only those.

#![expect(clippy::print_stdout, clippy::print_stderr, reason = "it writes the file, and says how far it is")]

use lorimant_core::chain::ladder::{FINE, Ladder};
use lorimant_core::chain::pose::Pose;
use lorimant_core::chain::relax::Relaxing;
use lorimant_core::chain::search::{Effort, wire_at};
use lorimant_core::chain::shipped;
use lorimant_core::chain::weaves::{self, Known};

/// A sheet of four in one can be stretched two ways. It ships as it hangs: rings of a row side by side, pulled across the
/// rows.
fn hangs(known: &Known, pose: &Pose) -> bool {
    known.word != "four-in-one-sheet" || pose.repeat < pose.across
}

fn main() {
    let words: Vec<String> = std::env::args().skip(1).collect();
    for known in weaves::all() {
        if !words.is_empty() && !words.iter().any(|word| word == known.word) {
            continue;
        }
        let starts_n = match known.weave.rings_n() {
            1 => 15,
            2 => 75,
            _ => 30,
        };
        let efforts: Vec<Effort> = (1..=4).map(|seed| Effort { starts_n, seed }).collect();
        let relaxing = Relaxing::alike(&known.weave);
        match Ladder::worked_out(&relaxing, &efforts, &FINE, 4, &|pose| hangs(known, pose), &|_| true) {
            Ok(ladder) => {
                eprintln!("{}: smallest {:.4}", known.word, ladder.smallest_ratio());
                for rung in ladder.rungs() {
                    let share = rung.pose.repeat / (2.0 - wire_at(rung.ratio));
                    eprintln!("  {:.3}: repeat {share:.4} of the bore", rung.ratio);
                    println!("{}", shipped::written(known.word, rung.ratio, &rung.pose));
                }
            }
            Err(faults) => eprintln!("{}: {faults}", known.word),
        }
    }
}
