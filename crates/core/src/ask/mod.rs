//! The ask line: reads what a maker types, in any order, and says what it understood.
//!
//! It reads the sentences that [`crate::ring::sentence`] and [`crate::pattern::sentence`] write, and shorter
//! ones: `120 rings 5 mm inside copper 18 soft`. What it does not know is pointed at, never guessed, and it
//! never answers while a number in the line is unused.
//!
//! A line goes through four rooms: [`line`] mends what is plainly misspelt, [`token`] cuts it into what is
//! known, [`parsed`] gathers that and [`place`] finds the one thing each bare quantity can mean, [`answer`]
//! answers. `docs/grammar.md` lists what is understood.

mod answer;
mod chain;
mod finding;
mod fits;
mod line;
mod makes;
pub mod mine;
mod number;
mod page;
mod parsed;
mod place;
mod price;
mod rings;
mod token;
mod tools;
mod trouble;
mod vocabulary;
mod wire_for;

pub use answer::{Answer, View, answer};
pub use fits::piece;
pub use line::{LONGEST, Unclear};
pub use makes::{Kept, Makes};
pub use number::KeyNumber;
