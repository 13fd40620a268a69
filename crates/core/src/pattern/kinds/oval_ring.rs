//! Oval jump ring: holds its place in a chain and resists opening.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::pull::Hold;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Oval jump ring: holds its place in a chain and resists opening.
pub static PATTERN: Pattern = Pattern {
    kind: "oval-ring",
    name: "oval ring",
    plural: "oval rings",
    also: &[],
    family: Family::Rings,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm("long_mm", "inside, long way", [7.0, 1.0, 100.0], "Long axis inside.").grows(),
        Parameter::mm("short_mm", "short way", [4.5, 0.8, 100.0], "Short axis inside.").grows(),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 1.024 },
    sized_by: &["long_mm", "short_mm"],
    free: Free { height: "short_mm", width: "long_mm", blank: "long_mm" },
    page: Page {
        purpose: "Links that keep their direction: the gap stays at the side and the pull at the ends.",
        wires: "0.8 to 1.3 mm. Half-hard where it stays unsoldered.",
        faults: &[
            Mishap::new("It turns round in the chain", "The two axes are too similar."),
            Mishap::new(
                "One end is rounder than the other",
                "The oval rod was turned in the hand while winding.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (long, short) = (d.of("long_mm"), d.of("short_mm"));
    Design::under(
        short,
        long,
        &PATTERN.parameters[1],
        "an oval's short way is longer than its long way. Swap them.",
    )?;
    let ring = f.lay("ring", Course::Oval { long_mm: long, short_mm: short });
    f.stands = (ring, 0.0);
    f.step(Operation::Bend, "oval", &[ring]).hint = "Wind it on an oval rod, or bend a round ring over two.";
    f.step(Operation::Close, "ring", &[]);
    f.closures.push(Closure { what: "ring", far_end: true, on: None });
    f.openings.push(Opening { what: "ring", inside_mm: short, mouth: None });
    f.bears.push(ring);
    // Pulled across with its gap at the side.
    f.pull = Some((Hold::At(ring, 0.25), Hold::At(ring, 0.75)));
    f.shows("long_mm", DimensionPlace::Across(ring));
    Ok(())
}
