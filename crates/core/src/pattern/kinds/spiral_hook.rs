//! Hook with a spiral head, a catch space and a lifted tip.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::former::{Asks, Dims, Former, Lies, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::kicked_tip;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Hook with a spiral head, a catch space and a lifted tip.
pub static PATTERN: Pattern = Pattern {
    kind: "spiral-hook",
    name: "spiral hook",
    plural: "spiral hooks",
    also: &["spiral-headed hook", "spiral headed hooks", "spiral clasp", "spiral clasps"],
    family: Family::Clasps,
    worn: Worn::Skin,
    paired: false,
    parameters: &[
        Parameter::mm("middle_mm", "middle", [1.6, 0.6, 12.0], "Opening left in the middle of the spiral."),
        Parameter::turns("turns_n", "spiral turns", [2.5, 1.0, 8.0], "Turns of the spiral."),
        Parameter::mm("shank_mm", "shank", [10.0, 2.0, 80.0], "Straight from spiral to bend."),
        Parameter::mm("bend_mm", "bend", [5.0, 2.0, 30.0], "Inside of the hook's bend."),
        Parameter::mm("catch_mm", "catch", [6.0, 1.0, 60.0], "Straight the ring sits in, from bend to lift."),
        Parameter::deg("lift_deg", "tip lifted", [35.0, 0.0, 80.0], "How far the tip is lifted away."),
        Parameter::mm("tip_mm", "tip", [4.0, 1.0, 30.0], "Length of the lifted tip."),
        Parameter::mm("ring_mm", "for rings of", [1.3, 0.3, 6.0], "Wire of the ring that it takes."),
    ],
    wire: UsualWire { metal: Metal::Copper, temper: Temper::Soft, size_mm: 1.291 },
    sized_by: &[],
    free: Free { height: "shank_mm", width: "bend_mm", blank: "shank_mm" },
    page: Page {
        purpose: "A hook that is its own ornament: the cord or chain hangs from the spiral, the ring sits in the catch.",
        wires: "1.0 to 1.6 mm (18 to 14 AWG): gauge rises with the size of the clasp. Soft wire forms and is hardened afterwards; half-hard needs stronger hands and holds as it is.",
        faults: &[
            Mishap::new(
                "The end is too short for the hook",
                "The spiral is loose: each turn against the last, or it starves the rest.",
            ),
            Mishap::new(
                "The ring slips out",
                "The catch space is shorter than the ring's wire is thick, or the tip is not lifted.",
            ),
            Mishap::new(
                "It opens",
                "Too soft, too thin or too wide: harden the bend on the block, or take thicker wire.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Former) -> Result<(), Fault> {
    let pitch_mm = f.h();
    let spiral = f.lay(
        "spiral",
        Course::Spiral { inner_mm: d.of("middle_mm"), turns: d.of("turns_n"), pitch_mm, roll_deg: 0.0 },
    );
    let shank = f.lay("shank", Course::straight(d.of("shank_mm")));
    let bend = f.lay("bend", Course::right(d.of("bend_mm"), 180.0));
    let catch = f.lay("catch", Course::straight(d.of("catch_mm")));
    f.step(Operation::Spiral, "spiral", &[spiral]);
    f.step(Operation::Bend, "hook", &[bend]);
    let (lift, tip) = kicked_tip(f, d.of("lift_deg"), d.of("tip_mm"), true);
    f.step(Operation::Round, "tip", &[tip]);
    f.step(Operation::Hammer, "bend", &[]);
    f.openings.push(Opening { what: "middle of the spiral", inside_mm: d.of("middle_mm"), mouth: None });
    f.openings.push(Opening { what: "hook", inside_mm: d.of("bend_mm"), mouth: Some((catch, shank)) });
    f.stands = (shank, 90.0);
    f.bears.push(bend);
    f.asks.push(Asks::Takes { opening: 1, ring_mm: d.of("ring_mm") });
    f.shows("shank_mm", Lies::Along(shank));
    f.shows("bend_mm", Lies::Across(bend));
    f.shows("catch_mm", Lies::Along(catch));
    f.shows("lift_deg", Lies::Angle(lift));
    f.shows("turns_n", Lies::Angle(spiral));
    Ok(())
}
