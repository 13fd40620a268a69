//! Head pin with three loops like a clover leaf.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::shape::closing::on_stem_deg;
use crate::wire::metal::{Metal, Temper};

/// Head pin with three loops like a clover leaf.
pub static PATTERN: Pattern = Pattern {
    kind: "trefoil-head-pin",
    name: "trefoil head pin",
    plural: "trefoil head pins",
    also: &[
        "trefoil",
        "trefoils",
        "trefoil pin",
        "trefoil pins",
        "clover pin",
        "clover head pin",
        "clover headpin",
    ],
    family: Family::Pins,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm("loop_mm", "loops", [2.2, 1.0, 15.0], "Inside of each of the three loops.").grows(),
        Parameter::mm(
            "notch_mm",
            "neck",
            [0.8, 0.2, 8.0],
            "Inside of the small bend from the loops to the stem.",
        )
        .grows(),
        Parameter::mm("stem_mm", "stem", [50.0, 3.0, 200.0], "Straight stem."),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.6438 },
    sized_by: &["stem_mm"],
    free: Free { height: "stem_mm", width: "loop_mm", blank: "stem_mm" },
    page: Page {
        purpose: "An open clover leaf that stops a bead from below, and is an ornament too.",
        wires: "0.5 to 0.8 mm (24 to 20 AWG), whatever goes through the beads. Half-hard keeps the stem straight; soft rolls more easily.",
        faults: &[
            Mishap::new(
                "The three loops differ",
                "They were rolled at different places on the jaw. Mark it once.",
            ),
            Mishap::new("It leans", "The last bend did not bring the stem under the third loop."),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (loop_mm, neck_mm, h) = (d.of("loop_mm"), d.of("notch_mm"), f.h());
    let (r, n) = (f.mean(loop_mm), f.mean(neck_mm));
    // Left, right and top of a waist, the neighbours' outsides touching: their middles lie c from the waist.
    let c = (2.0 * r + h) / std::f64::consts::SQRT_2;
    // The crossing leans by asin(r/c); so does the way from the top loop down to the waist.
    let lean = (r / c).asin().to_degrees();
    let beside = (2.0 * r / (2.0 * r + h)).asin().to_degrees();
    let crossing_mm = 2.0 * (c * c - r * r).sqrt();
    let over_mm = ((2.0 * r + h).powi(2) - 4.0 * r * r).sqrt();
    let turn = |angle_deg: f64, roll_deg: f64, rise_mm: f64| Course::Bend {
        inside_mm: loop_mm,
        angle_deg,
        roll_deg,
        rise_mm,
    };
    let first = f.lay("first loop", Course::left(loop_mm, on_stem_deg(loop_mm, h, h)));
    let crossing = f.lay("crossing", Course::straight(crossing_mm));
    // An eight so far; it goes on over its own crossing to the third loop in the waist.
    let second = f.lay("counter-loop", turn(225.0 + lean + beside, 180.0, h));
    let over = f.lay("way over", Course::straight(over_mm));
    let third = f.lay("third loop", turn(135.0 + lean + beside, 0.0, h));
    let tangent = n * (lean / 2.0).to_radians().tan();
    let run = f.leg("way down", crossing_mm / 2.0 - tangent, "notch_mm")?;
    let neck = f.lay("neck", Course::right(neck_mm, lean));
    let stem = f.lay("stem", Course::straight(d.of("stem_mm")));
    f.closures.push(Closure { what: "first loop", far_end: false, on: Some(crossing) });
    f.step(Operation::Loop, "first loop", &[first]);
    f.step(Operation::Loop, "counter-loop", &[crossing, second]).hint =
        "The other way round: the two make a figure eight.";
    f.step(Operation::Loop, "third loop", &[over, third]).hint =
        "In the waist of the eight, over its crossing.";
    f.step(Operation::Bend, "neck", &[run, neck]).hint = "Bend until the stem hangs under the third loop.";
    f.step(Operation::Press, "stem", &[]);
    f.stands = (stem, -90.0);
    // The head lies over itself.
    let head = first..=stem;
    f.pressed.extend(head.clone().flat_map(|a| head.clone().filter(move |b| a < *b).map(move |b| (a, b))));
    f.asks.push(DesignCheck::Stem { segment: stem });
    f.shows("loop_mm", DimensionPlace::Across(third));
    f.shows("stem_mm", DimensionPlace::Along(stem));
    Ok(())
}
