//! Cool.

use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::metal::heat::Cooling;
use crate::words::capital;
use lorimant_text::text;

/// Hot metal is cooled, as its metal bears it.
#[derive(Debug, Clone, Copy)]
pub struct Quench;

impl Perform for Quench {
    fn operation(&self) -> Operation {
        Operation::Quench
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let figures = bench.wire.metal.figures();
        let cooling = figures.cooling;
        piece.hot = false;
        let wet = matches!(cooling, Cooling::WaterAtOnce | Cooling::WaterWhenBlack);
        Ok(Done {
            what: text!("quench-piece").to_owned(),
            text: format!("{}.", capital(cooling.shown())),
            hints: figures
                .hot_short
                .then(|| text!("quench-dont-move-or-strike-while").to_owned())
                .into_iter()
                .collect(),
            caution: Some(if wet {
                text!("quench-steam-spatter-hold-with-tongs")
            } else {
                text!("quench-stays-hot-long-after-glow")
            }),
            takes: Takes { unattended_min: cooling.minutes(), ..Takes::minutes(0.2, 0.1) },
            ..Done::default()
        })
    }
}
