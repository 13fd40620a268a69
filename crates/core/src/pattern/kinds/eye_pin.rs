//! Eye pin: a loop centred over its stem.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::centred_loop;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Eye pin: a loop centred over its stem.
pub static PATTERN: Pattern = Pattern {
    kind: "eye-pin",
    name: "eye pin",
    plural: "eye pins",
    also: &["eyepin", "eyepins", "loop pin"],
    family: Family::Pins,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm("loop_mm", "loop", [2.4, 0.8, 15.0], "Inside of the eye.").grows(),
        Parameter::mm("stem_mm", "stem", [35.0, 3.0, 200.0], "Straight stem."),
        Parameter::mm(
            "hammered_mm",
            "hammered to",
            [0.0, 0.1, 5.0],
            "Thickness the eye is hammered to; 0 leaves it round.",
        )
        .or_none("eye not hammered"),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.6438 },
    sized_by: &["stem_mm"],
    free: Free { height: "stem_mm", width: "loop_mm", blank: "stem_mm" },
    page: Page {
        purpose: "Carries beads and links them: one eye is made first, the other once the beads are on.",
        wires: "0.5 to 0.8 mm (24 to 20 AWG), whatever goes through the beads. Half-hard keeps the stem straight; soft rolls more easily.",
        faults: &[
            Mishap::new(
                "The eye leans over",
                "It was not bent back. Bend the neck back until the eye sits over the stem.",
            ),
            Mishap::new(
                "The stem is too short for the last bead",
                "The second loop needs wire too: leave about its cut length beyond the beads.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (rolled, neck) = centred_loop(f, "loop", d.of("loop_mm"));
    let stem = f.lay("stem", Course::straight(d.of("stem_mm")));
    f.hammer(&[rolled], d.of("hammered_mm"), "hammered_mm")?;
    f.step(Operation::Loop, "loop", &[rolled]);
    f.step(Operation::Bend, "neck", &[neck]).hint = "Bend back until the loop sits centred over the stem.";
    if d.of("hammered_mm") > 0.0 {
        f.step(Operation::Hammer, "loop", &[]);
        f.step(Operation::Close, "loop", &[]);
    }
    if d.of("hammered_mm") <= 0.0 {
        f.step(Operation::Hammer, "loop", &[]).hint = "With a mallet, on both sides.";
    }
    f.step(Operation::Straighten, "stem", &[stem]);
    // There is always something to hold, and nothing is cut that spoils.
    f.on_spool = true;
    f.stands = (stem, -90.0);
    f.asks.push(DesignCheck::Stem { segment: stem });
    f.shows("loop_mm", DimensionPlace::Across(rolled));
    f.shows("stem_mm", DimensionPlace::Along(stem));
    Ok(())
}
