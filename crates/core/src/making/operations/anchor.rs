//! Anchor the tail.

use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::coil::Winding;
use crate::tool::method::AnchorBy;
use crate::words::length::on_ruler;

/// The tail is held, so that the wire can be wound under tension.
#[derive(Debug, Clone, Copy)]
pub struct Anchor {
    /// Length held, mm.
    pub tail_mm: f64,
    /// How the rod is turned.
    pub winding: Winding,
    /// What holds it where the rod is turned by hand.
    pub by: AnchorBy,
}

impl Perform for Anchor {
    fn operation(&self) -> Operation {
        Operation::Anchor
    }

    fn perform(&self, _: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let tail = on_ruler(self.tail_mm, bench.unit());
        let text = match self.winding {
            Winding::Hand => match self.by {
                AnchorBy::Thumb => {
                    format!("Bend {tail} of the end over and hold it along the rod with a thumb or clamp.")
                }
                AnchorBy::Hole => {
                    format!("Put {tail} of the end through the hole in the rod and bend it over.")
                }
                AnchorBy::Slot => format!("Put {tail} of the end into the slot in the rod and bend it over."),
                AnchorBy::Vise => {
                    format!("Clamp {tail} of the end together with the rod in the vise.")
                }
            },
            Winding::PinVise => format!("Grip {tail} of the end in the pin vise together with the rod."),
            Winding::SlowDrill => {
                format!(
                    "Grip {tail} of the end in the chuck together with the rod. Keep both hands behind the \
                     guide."
                )
            }
        };
        let by = if self.winding == Winding::Hand { self.by } else { AnchorBy::Vise };
        Ok(Done {
            what: "tail".to_owned(),
            numbers: Numbers { length_mm: Some(self.tail_mm), held_by: Some(by), ..Numbers::default() },
            text,
            takes: Takes::minutes(0.5, bench.shared(0.3)),
            ..Done::default()
        })
    }
}
