//! Part a folded pair.

use crate::making::telling::the;
use crate::making::{Bench, Does, Done, Operation, Takes, Workpiece};
use crate::tool::cutting::CAUTION;

/// What was bent together is cut apart, last of all.
#[derive(Debug, Clone, Copy)]
pub struct Part {
    /// Where.
    pub what: &'static str,
}

impl Does for Part {
    fn operation(&self) -> Operation {
        Operation::Part
    }

    fn do_to(&self, _: &mut Workpiece, _: &Bench) -> Result<Done, String> {
        Ok(Done {
            what: self.what.to_owned(),
            text: format!(
                "Part them last, when tumbling and finishing are done: cut {} in its middle.",
                the(self.what)
            ),
            caution: Some(CAUTION),
            takes: Takes::minutes(0.2, 0.3),
            ..Done::default()
        })
    }
}
