//! What hands do to a piece that changes no length of it: press straight, level, texture, bevel, true.

use crate::making::telling::{hinted, the};
use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::strength::MALLETED;
use lorimant_text::{Text, text};

/// Work that leaves the wire where it is.
#[derive(Debug, Clone, Copy)]
pub struct Handwork {
    /// Which: press, level, texture, bevel or true.
    pub operation: Operation,
    /// What it is done to.
    pub what: &'static str,
    /// The pattern's own way, where it has one.
    pub hint: &'static str,
}

const BLOWS: Text = Text::named("handwork-wear-safety-glasses-keep-fingers");
const DUST: Text = Text::named("handwork-dont-breathe-in-dust");

impl Perform for Handwork {
    fn operation(&self) -> Operation {
        self.operation
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let the = the(self.what);
        let (text, caution, minutes) = match self.operation {
            Operation::Press if self.what == "turns" => {
                (text!("handwork-press-turns-together-each-against").to_owned(), None, (0.2, 0.3))
            }
            Operation::Press => (text!("handwork-press-straight-in-smooth-jaws", the), None, (0.2, 0.3)),
            Operation::Level => (text!("handwork-level-on-abrasive-paper-on", the), Some(DUST), (0.5, 1.0)),
            Operation::Texture => {
                piece.harden(MALLETED);
                let text = text!("handwork-texture-once-flat-closed-light", what = self.what);
                (text, Some(BLOWS), (0.5, 0.8))
            }
            Operation::Bevel => (text!("handwork-bevel-with-light-blows-or", the), Some(BLOWS), (0.3, 0.8)),
            Operation::True => (text!("handwork-flatten-tap-with-mallet-on", the), Some(BLOWS), (0.2, 0.3)),
            other => return Err(text!("handwork-cannot-be-done-by-hand", other)),
        };
        Ok(Done {
            what: self.what.to_owned(),
            text,
            hints: hinted(self.hint),
            caution: caution.map(Text::as_str),
            takes: Takes::minutes(minutes.0, minutes.1).effort(bench.effort(0.0).min(1.0)),
            ..Done::default()
        })
    }
}
