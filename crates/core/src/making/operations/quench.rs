//! Cool.

use crate::making::{Bench, Done, Operation, Perform, Takes, Workpiece};
use crate::wire::metal::heat::Cooling;
use crate::words::capital;

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
            what: "piece".to_owned(),
            text: format!("{}.", capital(cooling.shown())),
            hints: figures
                .hot_short
                .then(|| "Don't move or strike it while it is hot: it breaks.".to_owned())
                .into_iter()
                .collect(),
            caution: Some(if wet {
                "Steam and spatter: hold it with tongs."
            } else {
                "It stays hot long after the glow is gone: hold it with tongs."
            }),
            takes: Takes { unattended_min: cooling.minutes(), ..Takes::minutes(0.2, 0.1) },
            ..Done::default()
        })
    }
}
