//! Round jump ring, bent singly from a straight blank.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::pull::Hold;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Round jump ring, bent singly from a straight blank.
pub static PATTERN: Pattern = Pattern {
    kind: "round-ring",
    name: "round ring",
    plural: "round rings",
    also: &["ring from a blank"],
    family: Family::Rings,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm("inside_mm", "inside", [5.0, 0.5, 100.0], "Inside of the closed ring.").grows()
    ],
    wire: UsualWire { metal: Metal::Copper, temper: Temper::Soft, size_mm: 1.024 },
    sized_by: &["inside_mm"],
    free: Free { height: "inside_mm", width: "inside_mm", blank: "inside_mm" },
    page: Page {
        purpose: "One ring to match another, when a coil is not worth winding. Many rings are planned under Rings.",
        wires: "0.8 to 1.3 mm for most work. Soft if it will be fused or soldered; half-hard holds better unsoldered.",
        faults: &[
            Mishap::new("The ends stand apart", "The bend sprang back. Bend past closed, then return."),
            Mishap::new(
                "A flat place beside the gap",
                "The last bit at each end was not bent. Start and finish at the very end of the wire.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let ring = f.lay("ring", Course::left(d.of("inside_mm"), 360.0));
    f.stands = (ring, 0.0);
    f.step(Operation::Bend, "ring", &[ring]);
    f.step(Operation::Close, "ring", &[]);
    f.closures.push(Closure { what: "ring", far_end: true, on: None });
    f.openings.push(Opening { what: "ring", inside_mm: d.of("inside_mm"), mouth: None });
    f.bears.push(ring);
    // Pulled across with its gap at the side.
    f.pull = Some((Hold::At(ring, 0.25), Hold::At(ring, 0.75)));
    f.shows("inside_mm", DimensionPlace::Across(ring));
    Ok(())
}
