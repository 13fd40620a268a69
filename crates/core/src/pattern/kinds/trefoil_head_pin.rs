//! Head pin with three loops like a clover leaf.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::shape::closing::on_stem_deg;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Head pin with three loops like a clover leaf.
pub static PATTERN: Pattern = Pattern {
    kind: "trefoil-head-pin",
    name: Text::named("trefoil-head-pin-trefoil-head-pin"),
    plural: Text::named("trefoil-head-pin-trefoil-head-pins"),
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
        Parameter::mm(
            "loop_mm",
            Text::named("trefoil-head-pin-loops"),
            [2.2, 1.0, 15.0],
            Text::named("trefoil-head-pin-inside-each-three-loops"),
        )
        .grows(),
        Parameter::mm(
            "notch_mm",
            Text::named("trefoil-head-pin-neck"),
            [0.8, 0.2, 8.0],
            Text::named("trefoil-head-pin-inside-small-bend-from-loops"),
        )
        .grows(),
        Parameter::mm(
            "stem_mm",
            Text::named("trefoil-head-pin-stem"),
            [50.0, 3.0, 200.0],
            Text::named("trefoil-head-pin-straight-stem"),
        ),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.6438 },
    sized_by: &["stem_mm"],
    free: Free { height: "stem_mm", width: "loop_mm", blank: "stem_mm" },
    page: Page {
        purpose: Text::named("trefoil-head-pin-open-clover-leaf-that-stops"),
        wires: Text::named("trefoil-head-pin-0-5-0-8-mm"),
        faults: &[
            Mishap::new(
                Text::named("trefoil-head-pin-three-loops-differ"),
                Text::named("trefoil-head-pin-they-were-rolled-at-different"),
            ),
            Mishap::new(
                Text::named("trefoil-head-pin-leans"),
                Text::named("trefoil-head-pin-last-bend-did-not-bring"),
            ),
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
    let first =
        f.lay(text!("trefoil-head-pin-first-loop"), Course::left(loop_mm, on_stem_deg(loop_mm, h, h)));
    let crossing = f.lay(text!("part-crossing"), Course::straight(crossing_mm));
    // An eight so far; it goes on over its own crossing to the third loop in the waist.
    let second = f.lay(text!("part-counter-loop"), turn(225.0 + lean + beside, 180.0, h));
    let over = f.lay(text!("trefoil-head-pin-way-over"), Course::straight(over_mm));
    let third = f.lay(text!("trefoil-head-pin-third-loop"), turn(135.0 + lean + beside, 0.0, h));
    let tangent = n * (lean / 2.0).to_radians().tan();
    let run = f.leg(text!("trefoil-head-pin-way-down"), crossing_mm / 2.0 - tangent, "notch_mm")?;
    let neck = f.lay(text!("part-neck"), Course::right(neck_mm, lean));
    let stem = f.lay(text!("part-stem"), Course::straight(d.of("stem_mm")));
    f.closures.push(Closure {
        what: text!("trefoil-head-pin-first-loop"),
        far_end: false,
        on: Some(crossing),
    });
    f.step(Operation::Loop, text!("trefoil-head-pin-first-loop"), &[first]);
    f.step(Operation::Loop, text!("part-counter-loop"), &[crossing, second]).hint =
        text!("trefoil-head-pin-other-way-round-two-make");
    f.step(Operation::Loop, text!("trefoil-head-pin-third-loop"), &[over, third]).hint =
        text!("trefoil-head-pin-in-waist-eight-over-its");
    f.step(Operation::Bend, text!("part-neck"), &[run, neck]).hint =
        text!("trefoil-head-pin-bend-until-stem-hangs-under");
    f.step(Operation::Press, text!("part-stem"), &[]);
    f.stands = (stem, -90.0);
    // The head lies over itself.
    let head = first..=stem;
    f.pressed.extend(head.clone().flat_map(|a| head.clone().filter(move |b| a < *b).map(move |b| (a, b))));
    f.asks.push(DesignCheck::Stem { segment: stem });
    f.shows("loop_mm", DimensionPlace::Across(third));
    f.shows("stem_mm", DimensionPlace::Along(stem));
    Ok(())
}
