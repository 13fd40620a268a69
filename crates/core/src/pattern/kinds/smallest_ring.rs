//! Smallest ring: wound on its own wire.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::pull::Hold;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Smallest ring: wound on its own wire.
pub static PATTERN: Pattern = Pattern {
    kind: "smallest-ring",
    name: "smallest ring",
    plural: "smallest rings",
    also: &["tiny ring", "bead ring"],
    family: Family::Rings,
    worn: Worn::Between,
    paired: false,
    parameters: &[Parameter::turns(
        "turns_n",
        "turns",
        [1.0, 1.0, 6.0],
        "Turns; more than one makes a bead of wire.",
    )],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::Soft, size_mm: 0.812 },
    sized_by: &[],
    free: Free { height: "turns_n", width: "turns_n", blank: "turns_n" },
    page: Page {
        purpose: "Tiny spacers and stops, and the bead at the end of a cord: as small as this wire can be wound.",
        wires: "Any wire that survives the bend: soft. Wind it on a length of itself.",
        faults: &[
            Mishap::new("It cracks", "The wire is harder than soft, or was worked before. Use soft wire."),
            Mishap::new(
                "It will not come off",
                "It was wound too tight on bent wire. Wind on a straight, waxed length.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let h = f.h();
    let ring = f.lay(
        "ring",
        Course::Wrap {
            core_mm: h,
            turns: d.of("turns_n"),
            pitch_mm: if d.of("turns_n") > 1.0 { h } else { 0.0 },
            roll_deg: 0.0,
        },
    );
    f.stands = (ring, 0.0);
    f.step(Operation::Coil, "ring", &[ring]).hint = "Its rod is a straight piece of the same wire.";
    f.openings.push(Opening { what: "ring", inside_mm: h, mouth: None });
    if d.of("turns_n") <= 1.0 {
        f.closures.push(Closure { what: "ring", far_end: true, on: None });
    }
    f.bears.push(ring);
    // Pulled across with its gap at the side.
    let turns = d.of("turns_n");
    f.pull = Some((Hold::At(ring, 0.25 / turns), Hold::At(ring, 0.75 / turns)));
    Ok(())
}
