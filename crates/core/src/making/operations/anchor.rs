//! Anchor the tail.

use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::coil::Winding;
use crate::tool::method::AnchorBy;
use crate::words::length::on_ruler;
use lorimant_text::text;

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
                    text!("anchor-bend-end-over-hold-along", tail)
                }
                AnchorBy::Hole => {
                    text!("anchor-put-end-through-hole-in", tail)
                }
                AnchorBy::Slot => text!("anchor-put-end-into-slot-in", tail),
                AnchorBy::Vise => {
                    text!("anchor-clamp-end-together-with-rod", tail)
                }
            },
            Winding::PinVise => text!("anchor-grip-end-in-pin-vise", tail),
            Winding::SlowDrill => {
                text!("anchor-grip-end-in-chuck-together", tail)
            }
        };
        let by = if self.winding == Winding::Hand { self.by } else { AnchorBy::Vise };
        Ok(Done {
            what: text!("anchor-tail").to_owned(),
            numbers: Numbers { length_mm: Some(self.tail_mm), held_by: Some(by), ..Numbers::default() },
            text,
            takes: Takes::minutes(0.5, bench.shared(0.3)),
            ..Done::default()
        })
    }
}
