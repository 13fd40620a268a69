//! Head pin with three loops like a clover leaf.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::former::{Asks, Dims, Former, Lies};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Head pin with three loops like a clover leaf.
pub static PATTERN: Pattern = Pattern {
    kind: "trefoil-head-pin",
    name: "trefoil head pin",
    plural: "trefoil head pins",
    also: &["trefoil", "trefoils", "trefoil pin", "trefoil pins", "clover pin"],
    family: Family::Pins,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm("loop_mm", "loops", [2.2, 1.0, 15.0], "Inside of each of the three loops.").grows(),
        Parameter::mm("notch_mm", "notch", [0.8, 0.2, 8.0], "Inside of the small bends between them.")
            .grows(),
        Parameter::mm("stem_mm", "stem", [50.0, 3.0, 200.0], "Straight stem."),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.6438 },
    sized_by: &["stem_mm"],
    free: Free { height: "stem_mm", width: "loop_mm", blank: "stem_mm" },
    page: Page {
        purpose: "An open clover leaf that stops a bead from below and is an ornament itself.",
        wires: "0.5 to 0.8 mm (24 to 20 AWG), whatever goes through the beads. Half-hard keeps the stem straight; soft rolls more easily.",
        faults: &[
            Mishap::new(
                "The three loops differ",
                "They were rolled at different places on the jaw: mark it once.",
            ),
            Mishap::new("It leans", "The last bend did not bring the stem under the middle loop."),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Former) -> Result<(), Fault> {
    let (loop_mm, notch_mm, h) = (d.of("loop_mm"), d.of("notch_mm"), f.h());
    let (r, n) = (f.mean(loop_mm), f.mean(notch_mm));
    // Neighbouring loops touch: their centres lie 2R + h apart, at right angles about the middle, and the
    // notch between them touches both from outside.
    let half = r + h / 2.0;
    let reach = ((r + n).powi(2) - half * half).sqrt();
    let lean = (reach / half).atan().to_degrees();
    let centre = half * std::f64::consts::SQRT_2;
    let lead = f.leg("foot", centre - 1.2 * h, "loop_mm")?;
    let first = f.lay("first loop", Course::right(loop_mm, 225.0 - lean));
    let notch = f.lay("notch", Course::left(notch_mm, 180.0 - 2.0 * lean));
    let second = f.lay("middle loop", Course::right(loop_mm, 270.0 - 2.0 * lean));
    let other = f.lay("notch", Course::left(notch_mm, 180.0 - 2.0 * lean));
    let third = f.lay("third loop", Course::right(loop_mm, 225.0 - lean));
    let run = f.leg("foot", centre - n, "notch_mm")?;
    let neck = f.lay("neck", Course::left(notch_mm, 90.0));
    let stem = f.lay("stem", Course::straight(d.of("stem_mm")));
    f.step(Operation::Loop, "first loop", &[lead, first]);
    f.step(Operation::Loop, "middle loop", &[notch, second]);
    f.step(Operation::Loop, "third loop", &[other, third]);
    f.step(Operation::Bend, "neck", &[run, neck]).hint = "Bend until the stem hangs under the middle loop.";
    f.step(Operation::Press, "stem", &[]);
    f.stands = (stem, -90.0);
    f.pressed.extend([
        (lead, run),
        (lead, neck),
        (lead, stem),
        (first, second),
        (second, third),
        (first, third),
    ]);
    f.asks.push(Asks::Stem { segment: stem });
    f.shows("loop_mm", Lies::Across(second));
    f.shows("stem_mm", Lies::Along(stem));
    Ok(())
}
