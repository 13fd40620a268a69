//! Quench.

use crate::making::{Bench, Does, Done, Operation, Takes, Workpiece};

/// Hot metal is cooled in water.
#[derive(Debug, Clone, Copy)]
pub struct Quench;

impl Does for Quench {
    fn operation(&self) -> Operation {
        Operation::Quench
    }

    fn do_to(&self, _: &mut Workpiece, _: &Bench) -> Result<Done, String> {
        Ok(Done {
            what: "piece".to_owned(),
            text: "Once the glow is gone, quench it in water.".to_owned(),
            caution: Some("Steam and spatter: tongs, and not while it glows."),
            takes: Takes::minutes(0.2, 0.1),
            ..Done::default()
        })
    }
}
