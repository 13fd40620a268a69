//! Eye pin: a loop centred over its stem.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::centred_loop;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Eye pin: a loop centred over its stem.
pub static PATTERN: Pattern = Pattern {
    kind: "eye-pin",
    name: Text::named("eye-pin-eye-pin"),
    plural: Text::named("eye-pin-eye-pins"),
    also: &["eyepin", "eyepins", "loop pin"],
    family: Family::Pins,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm(
            "loop_mm",
            Text::named("eye-pin-loop"),
            [2.4, 0.8, 15.0],
            Text::named("eye-pin-inside-eye"),
        )
        .grows(),
        Parameter::mm(
            "stem_mm",
            Text::named("eye-pin-stem"),
            [35.0, 3.0, 200.0],
            Text::named("eye-pin-straight-stem"),
        ),
        Parameter::mm(
            "hammered_mm",
            Text::named("eye-pin-hammered"),
            [0.0, 0.1, 5.0],
            Text::named("eye-pin-thickness-eye-hammered-0-leaves"),
        )
        .or_none(Text::named("eye-pin-eye-not-hammered")),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.6438 },
    sized_by: &["stem_mm"],
    free: Free { height: "stem_mm", width: "loop_mm", blank: "stem_mm" },
    page: Page {
        purpose: Text::named("eye-pin-carries-beads-links-them-one"),
        wires: Text::named("eye-pin-0-5-0-8-mm"),
        faults: &[
            Mishap::new(Text::named("eye-pin-eye-leans-over"), Text::named("eye-pin-was-not-bent-back-bend")),
            Mishap::new(
                Text::named("eye-pin-stem-too-short-for-last"),
                Text::named("eye-pin-second-loop-needs-wire-too"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (rolled, neck) = centred_loop(f, text!("part-loop"), d.of("loop_mm"));
    let stem = f.lay(text!("part-stem"), Course::straight(d.of("stem_mm")));
    f.hammer(&[rolled], d.of("hammered_mm"), "hammered_mm")?;
    f.step(Operation::Loop, text!("part-loop"), &[rolled]);
    f.step(Operation::Bend, text!("part-neck"), &[neck]).hint = text!("eye-pin-bend-back-until-loop-sits");
    if d.of("hammered_mm") > 0.0 {
        f.step(Operation::Hammer, text!("part-loop"), &[]);
        f.step(Operation::Close, text!("part-loop"), &[]);
    }
    if d.of("hammered_mm") <= 0.0 {
        f.step(Operation::Hammer, text!("part-loop"), &[]).hint = text!("eye-pin-with-mallet-on-both-sides");
    }
    f.step(Operation::Straighten, text!("part-stem"), &[stem]);
    // There is always something to hold, and nothing is cut that spoils.
    f.on_spool = true;
    f.stands = (stem, -90.0);
    f.asks.push(DesignCheck::Stem { segment: stem });
    f.shows("loop_mm", DimensionPlace::Across(rolled));
    f.shows("stem_mm", DimensionPlace::Along(stem));
    Ok(())
}
