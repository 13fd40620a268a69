//! Round jump ring, bent singly from a straight blank.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::pull::PullPoint;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Round jump ring, bent singly from a straight blank.
pub static PATTERN: Pattern = Pattern {
    kind: "round-ring",
    name: Text::named("round-ring-round-ring"),
    plural: Text::named("round-ring-round-rings"),
    also: &["ring from a blank"],
    family: Family::Rings,
    worn: Worn::Between,
    paired: false,
    parameters: &[Parameter::mm(
        "inside_mm",
        Text::named("round-ring-inside"),
        [5.0, 0.5, 100.0],
        Text::named("round-ring-inside-closed-ring"),
    )
    .grows()],
    wire: UsualWire { metal: Metal::Copper, temper: Temper::Soft, size_mm: 1.024 },
    sized_by: &["inside_mm"],
    free: Free { height: "inside_mm", width: "inside_mm", blank: "inside_mm" },
    page: Page {
        purpose: Text::named("round-ring-one-ring-match-another-when"),
        wires: Text::named("round-ring-0-8-1-3-mm"),
        faults: &[
            Mishap::new(
                Text::named("round-ring-ends-stand-apart"),
                Text::named("round-ring-bend-sprang-back-bend-past"),
            ),
            Mishap::new(
                Text::named("round-ring-flat-place-beside-gap"),
                Text::named("round-ring-last-bit-at-each-end"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let ring = f.lay(text!("part-ring"), Course::left(d.of("inside_mm"), 360.0));
    f.stands = (ring, 0.0);
    f.step(Operation::Bend, text!("part-ring"), &[ring]);
    f.step(Operation::Close, text!("part-ring"), &[]);
    f.closures.push(Closure { what: text!("round-ring-ring"), far_end: true, on: None });
    f.openings.push(Opening { what: text!("round-ring-ring"), inside_mm: d.of("inside_mm"), mouth: None });
    f.bears.push(ring);
    // Pulled across with its gap at the side.
    f.pull = Some((PullPoint::At(ring, 0.25), PullPoint::At(ring, 0.75)));
    f.shows("inside_mm", DimensionPlace::Across(ring));
    Ok(())
}
