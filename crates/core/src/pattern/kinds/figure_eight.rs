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
use lorimant_text::{Text, text};

/// Figure eight: two loops, equal or not, closed against one crossing.
pub static PATTERN: Pattern = Pattern {
    kind: "figure-eight",
    name: Text::named("figure-eight-figure-eight"),
    plural: Text::named("figure-eight-figure-eights"),
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
        Parameter::mm(
            "loop_mm",
            Text::named("figure-eight-loop"),
            [3.0, 0.8, 30.0],
            Text::named("figure-eight-inside-first-loop"),
        )
        .grows(),
        Parameter::mm(
            "second_mm",
            Text::named("figure-eight-second-loop"),
            [3.0, 0.8, 30.0],
            Text::named("figure-eight-inside-second-loop-same-as"),
        )
        .from(|request| request.value("loop_mm")),
        Parameter::mm(
            "apart_mm",
            Text::named("figure-eight-apart"),
            [0.0, 0.1, 20.0],
            Text::named("figure-eight-extra-straight-wire-in-crossing"),
        )
        .or_none(Text::named("figure-eight-loops-touching")),
        ENDS,
    ],
    wire: UsualWire { metal: Metal::Copper, temper: Temper::HalfHard, size_mm: 1.024 },
    sized_by: &["loop_mm", "second_mm"],
    free: Free { height: "apart_mm", width: "loop_mm", blank: "loop_mm" },
    page: Page {
        purpose: Text::named("figure-eight-joins-two-things-that-turn"),
        wires: Text::named("figure-eight-0-8-1-3-mm"),
        faults: &[
            Mishap::new(
                Text::named("figure-eight-one-loop-larger"),
                Text::named("figure-eight-jaw-slipped-or-crossing-mark"),
            ),
            Mishap::new(
                Text::named("figure-eight-loops-not-in-one-plane"),
                Text::named("figure-eight-crossing-twisted-straighten-in-smooth"),
            ),
            Mishap::new(
                Text::named("figure-eight-gap-stays"),
                Text::named("figure-eight-loop-was-not-rolled-until"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (first_mm, second_mm) = (d.of("loop_mm"), d.of("second_mm"));
    let touching = crossing_mm(f.mean(first_mm), f.mean(second_mm), f.h());
    let flat = flat_ends(f, d.of("ends_mm"))?;
    let first = flat_loop(f, text!("figure-eight-first-loop"), (first_mm, flat), 0.0);
    let crossing = f.lay(text!("part-crossing"), Course::straight(touching + d.of("apart_mm")));
    let second = flat_loop(f, text!("figure-eight-second-loop"), (second_mm, flat), 180.0);
    f.step(Operation::Loop, text!("figure-eight-first-loop"), &[first]);
    f.step(Operation::Loop, text!("figure-eight-second-loop"), &[second]).hint =
        text!("figure-eight-turn-wire-end-for-end");
    f.step(Operation::Close, text!("part-loops"), &[]);
    f.step(Operation::Press, text!("part-crossing"), &[]).hint =
        text!("figure-eight-until-loops-run-smoothly-into");
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
