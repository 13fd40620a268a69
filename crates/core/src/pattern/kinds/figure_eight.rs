//! Figure eight: two loops, equal or not, closed against one crossing.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{ENDS, flat_ends, flat_loop};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::shape::closing::crossing_mm;
use crate::wire::metal::{Metal, Temper};

/// Figure eight: two loops, equal or not, closed against one crossing.
pub static PATTERN: Pattern = Pattern {
    kind: "figure-eight",
    name: "figure eight",
    plural: "figure eights",
    also: &[
        "figure 8",
        "figure 8 link",
        "figure eight link",
        "figure eight connector",
        "infinity link",
        "eight link",
        "eights",
    ],
    family: Family::Links,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm("loop_mm", "loop", [3.0, 0.8, 30.0], "Inside of the first loop.").grows(),
        Parameter::mm(
            "second_mm",
            "second loop",
            [3.0, 0.8, 30.0],
            "Inside of the second loop; the same as the first if left out.",
        )
        .from(|request| request.value("loop_mm")),
        Parameter::mm(
            "apart_mm",
            "apart",
            [0.0, 0.1, 20.0],
            "Extra straight wire in the crossing; 0 lets the loops touch.",
        )
        .or_none("loops touching"),
        ENDS,
    ],
    wire: UsualWire { metal: Metal::Copper, temper: Temper::HalfHard, size_mm: 1.024 },
    sized_by: &["loop_mm", "second_mm"],
    free: Free { height: "apart_mm", width: "loop_mm", blank: "loop_mm" },
    page: Page {
        purpose: "Joins two things that turn freely against each other. The plainest handmade link.",
        wires: "0.8 to 1.3 mm. Half-hard holds its loops; soft wire is easier and can be hammered flat afterwards.",
        faults: &[
            Mishap::new(
                "One loop is larger",
                "The jaw slipped, or the crossing mark was off the middle of the blank.",
            ),
            Mishap::new(
                "The loops are not in one plane",
                "The crossing twisted. Straighten it in smooth jaws until the loops run smoothly into each other.",
            ),
            Mishap::new("A gap stays", "The loop was not rolled until its end meets the crossing."),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (first_mm, second_mm) = (d.of("loop_mm"), d.of("second_mm"));
    let touching = crossing_mm(f.mean(first_mm), f.mean(second_mm), f.h());
    let flat = flat_ends(f, d.of("ends_mm"))?;
    let first = flat_loop(f, "first loop", (first_mm, flat), 0.0);
    let crossing = f.lay("crossing", Course::straight(touching + d.of("apart_mm")));
    let second = flat_loop(f, "second loop", (second_mm, flat), 180.0);
    f.step(Operation::Loop, "first loop", &[first]);
    f.step(Operation::Loop, "second loop", &[second]).hint = "Turn the wire end for end, not over.";
    f.step(Operation::Close, "loops", &[]);
    f.step(Operation::Press, "crossing", &[]).hint =
        "Until the loops run smoothly into each other, in one plane.";
    // Lean the crossing so that the two centres stand one above the other.
    let across = f.mean(first_mm) + f.mean(second_mm);
    f.stands = (crossing, -90.0 - across.atan2(touching + d.of("apart_mm")).to_degrees());
    f.bears.push(if first_mm >= second_mm { first } else { second });
    f.pressed.push((first, second));
    f.pulled(first, second);
    f.shows("loop_mm", DimensionPlace::Across(first));
    f.shows("second_mm", DimensionPlace::Across(second));
    Ok(())
}
