//! Smallest ring: wound on its own wire.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::pull::PullPoint;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Smallest ring: wound on its own wire.
pub static PATTERN: Pattern = Pattern {
    kind: "smallest-ring",
    name: Text::named("smallest-ring-smallest-ring"),
    plural: Text::named("smallest-ring-smallest-rings"),
    also: &["tiny ring", "bead ring"],
    family: Family::Rings,
    worn: Worn::Between,
    paired: false,
    parameters: &[Parameter::turns(
        "turns_n",
        Text::named("smallest-ring-turns"),
        [1.0, 1.0, 6.0],
        Text::named("smallest-ring-turns-more-than-one-makes"),
    )],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::Soft, size_mm: 0.812 },
    sized_by: &[],
    free: Free { height: "turns_n", width: "turns_n", blank: "turns_n" },
    page: Page {
        purpose: Text::named("smallest-ring-tiny-spacers-stops-bead-at"),
        wires: Text::named("smallest-ring-any-wire-that-survives-bend"),
        faults: &[
            Mishap::new(
                Text::named("smallest-ring-cracks"),
                Text::named("smallest-ring-wire-harder-than-soft-or"),
            ),
            Mishap::new(
                Text::named("smallest-ring-will-not-come-off"),
                Text::named("smallest-ring-was-wound-too-tight-on"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let h = f.h();
    let ring = f.lay(
        text!("part-ring"),
        Course::Wrap {
            core_mm: h,
            turns: d.of("turns_n"),
            pitch_mm: if d.of("turns_n") > 1.0 { h } else { 0.0 },
            roll_deg: 0.0,
        },
    );
    f.stands = (ring, 0.0);
    f.step(Operation::Coil, text!("part-ring"), &[ring]).hint =
        text!("smallest-ring-its-rod-straight-piece-same");
    f.openings.push(Opening { what: text!("smallest-ring-ring"), inside_mm: h, mouth: None });
    if d.of("turns_n") <= 1.0 {
        f.closures.push(Closure { what: text!("smallest-ring-ring"), far_end: true, on: None });
    }
    f.bears.push(ring);
    // Pulled across with its gap at the side.
    let turns = d.of("turns_n");
    f.pull = Some((PullPoint::At(ring, 0.25 / turns), PullPoint::At(ring, 0.75 / turns)));
    Ok(())
}
