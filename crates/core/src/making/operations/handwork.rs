//! What hands do to a piece that changes no length of it: press straight, level, texture, bevel, true.

use crate::making::telling::{hinted, the};
use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::strength::MALLETED;

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

const BLOWS: &str = "Wear safety glasses. Keep fingers clear of the block.";
const DUST: &str = "Don't breathe in the dust.";

impl Perform for Handwork {
    fn operation(&self) -> Operation {
        self.operation
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let the = the(self.what);
        let (text, caution, minutes) = match self.operation {
            Operation::Press if self.what == "turns" => {
                ("Press the turns together, each against the next.".to_owned(), None, (0.2, 0.3))
            }
            Operation::Press => (format!("Press {the} straight in smooth jaws."), None, (0.2, 0.3)),
            Operation::Level => (
                format!("Level {the} on abrasive paper on a flat plate: coarse, then fine."),
                Some(DUST),
                (0.5, 1.0),
            ),
            Operation::Texture => {
                piece.harden(MALLETED);
                let text = format!(
                    "Texture the {} once it is flat and closed: light blows, side by side.",
                    self.what
                );
                (text, Some(BLOWS), (0.5, 0.8))
            }
            Operation::Bevel => (
                format!("Bevel {the} with light blows or a file, slanting outward all round."),
                Some(BLOWS),
                (0.3, 0.8),
            ),
            Operation::True => (
                format!("Flatten {the}: tap it with a mallet on the flat block until it doesn't rock."),
                Some(BLOWS),
                (0.2, 0.3),
            ),
            other => return Err(format!("“{other}” cannot be done by hand.")),
        };
        Ok(Done {
            what: self.what.to_owned(),
            text,
            hints: hinted(self.hint),
            caution,
            takes: Takes::minutes(minutes.0, minutes.1).effort(bench.effort(0.0).min(1.0)),
            ..Done::default()
        })
    }
}
