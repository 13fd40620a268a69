//! Check.

use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use lorimant_text::text;

/// The piece is laid on its drawing, or beside the first.
#[derive(Debug, Clone, Copy)]
pub struct Check {
    /// What to look at.
    pub text: &'static str,
}

impl Perform for Check {
    fn operation(&self) -> Operation {
        Operation::Check
    }

    fn perform(&self, _: &mut Workpiece, _: &Bench) -> Result<Done, String> {
        let takes = Takes::minutes(0.3, 0.2);
        Ok(Done {
            what: text!("operations-check-piece").to_owned(),
            text: self.text.to_owned(),
            takes,
            ..Done::default()
        })
    }
}
