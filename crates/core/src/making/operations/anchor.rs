//! Anchor the tail.

use crate::making::{Bench, Does, Done, Numbers, Operation, Takes, Workpiece};
use crate::tool::coil::Winding;
use crate::words::length::on_ruler;

/// The tail is held, so that the wire can be wound under tension.
#[derive(Debug, Clone, Copy)]
pub struct Anchor {
    /// Length held, mm.
    pub tail_mm: f64,
    /// How the rod is turned.
    pub winding: Winding,
}

impl Does for Anchor {
    fn operation(&self) -> Operation {
        Operation::Anchor
    }

    fn do_to(&self, _: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let tail = on_ruler(self.tail_mm, bench.unit());
        let text = match self.winding {
            Winding::Hand => {
                format!("Bend {tail} of the end over and hold it along the rod with a thumb or clamp.")
            }
            Winding::PinVise => format!("Catch {tail} of the end in the pin vise together with the rod."),
            Winding::SlowDrill => {
                format!(
                    "Catch {tail} of the end in the chuck together with the rod, and keep both hands behind the guide."
                )
            }
        };
        Ok(Done {
            what: "tail".to_owned(),
            numbers: Numbers { length_mm: Some(self.tail_mm), ..Numbers::default() },
            text,
            takes: Takes::minutes(0.5, bench.shared(0.3)),
            ..Done::default()
        })
    }
}
