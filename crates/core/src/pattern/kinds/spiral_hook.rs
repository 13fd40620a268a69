//! Hook with a spiral head, a catch space and a lifted tip.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::kicked_tip;
use crate::pattern::pull::Hold;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Hook with a spiral head, a catch space and a lifted tip.
pub static PATTERN: Pattern = Pattern {
    kind: "spiral-hook",
    name: "spiral hook",
    plural: "spiral hooks",
    also: &[
        "spiral-headed hook",
        "spiral headed hooks",
        "spiral clasp",
        "spiral clasps",
        "spiral hook clasp",
        "swirl hook",
    ],
    family: Family::Clasps,
    worn: Worn::Skin,
    paired: false,
    parameters: &[
        Parameter::mm(
            "middle_mm",
            "middle",
            [0.0, 0.6, 12.0],
            "Opening left in the middle of the spiral; 0 squeezes it shut.",
        )
        .or_none("middle squeezed shut"),
        Parameter::turns("turns_n", "spiral turns", [2.0, 1.0, 8.0], "Turns of the spiral."),
        Parameter::mm(
            "space_mm",
            "ring space",
            [2.6, 0.6, 12.0],
            "Inside of the space bent beside the spiral for its ring; 0 leaves it out.",
        )
        .or_none("no ring space")
        .grows(),
        Parameter::mm(
            "shank_mm",
            "shank",
            [10.0, 2.0, 80.0],
            "Straight from the spiral or its ring space to the bend.",
        )
        .grows(),
        Parameter::mm("bend_mm", "bend", [5.0, 2.0, 30.0], "Inside of the hook's bend.").grows(),
        Parameter::mm(
            "catch_mm",
            "catch",
            [6.0, 1.0, 60.0],
            "Straight part where the ring sits, from bend \
                                                              to lift.",
        )
        .grows(),
        Parameter::deg("lift_deg", "tip lifted", [35.0, 0.0, 80.0], "How far the tip is lifted away."),
        Parameter::mm("tip_mm", "tip", [4.0, 1.0, 30.0], "Length of the lifted tip.").grows(),
        Parameter::mm("ring_mm", "for rings of", [1.3, 0.3, 6.0], "Wire of the ring that it takes.").grows(),
    ],
    wire: UsualWire { metal: Metal::Copper, temper: Temper::Soft, size_mm: 1.291 },
    sized_by: &[],
    free: Free { height: "shank_mm", width: "bend_mm", blank: "shank_mm" },
    page: Page {
        purpose: "A hook that is its own ornament: the cord or chain hangs from the spiral, and the ring \
                  sits in the catch.",
        wires: "1.0 to 1.6 mm (18 to 14 AWG), thicker for larger clasps. Soft wire is easy to form and is \
                hardened afterwards; half-hard needs stronger hands and holds as it is.",
        faults: &[
            Mishap::new(
                "The end is too short for the hook",
                "The spiral is loose. Keep each turn against the last, or it uses up the rest of the wire.",
            ),
            Mishap::new(
                "The ring slips out",
                "The catch space is shorter than the ring's wire is thick, or the tip is not lifted.",
            ),
            Mishap::new(
                "It opens",
                "Too soft, too thin or too wide. Harden the bend on the block, or use thicker wire.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let pitch_mm = f.h();
    let spiral = f.lay(
        "spiral",
        Course::Spiral { inner_mm: d.of("middle_mm"), turns: d.of("turns_n"), pitch_mm, roll_deg: 0.0 },
    );
    let space_mm = d.of("space_mm");
    let space = (space_mm > 0.0).then(|| f.lay("ring space", Course::right(space_mm, 180.0)));
    let shank = f.lay("shank", Course::straight(d.of("shank_mm")));
    // Away from the spiral, which the shank runs past.
    let hook = if space.is_some() { Course::left } else { Course::right };
    let bend = f.lay("bend", hook(d.of("bend_mm"), 180.0));
    let catch = f.lay("catch", Course::straight(d.of("catch_mm")));
    f.step(Operation::Spiral, "spiral", &[spiral]);
    if let Some(space) = space {
        f.step(Operation::Bend, "ring space", &[space]);
        f.openings.push(Opening { what: "ring space", inside_mm: space_mm, mouth: None });
        f.shows("space_mm", DimensionPlace::Across(space));
    }
    f.step(Operation::Bend, "hook", &[bend]);
    let (lift, tip) = kicked_tip(f, d.of("lift_deg"), d.of("tip_mm"), space.is_none());
    f.step(Operation::Round, "tip", &[tip]);
    f.step(Operation::Hammer, "bend", &[]);
    if d.of("middle_mm") > 0.0 {
        f.openings.push(Opening { what: "middle of the spiral", inside_mm: d.of("middle_mm"), mouth: None });
    }
    let takes = f.openings.len();
    f.openings.push(Opening { what: "hook", inside_mm: d.of("bend_mm"), mouth: Some((catch, shank)) });
    f.stands = (shank, 90.0);
    f.bears.push(bend);
    f.pull = Some((space.map_or(Hold::Closed(spiral), Hold::In), Hold::In(bend)));
    f.asks.push(DesignCheck::Takes { opening: takes, ring_mm: d.of("ring_mm") });
    f.shows("shank_mm", DimensionPlace::Along(shank));
    f.shows("bend_mm", DimensionPlace::Across(bend));
    f.shows("catch_mm", DimensionPlace::Along(catch));
    f.shows("lift_deg", DimensionPlace::Angle(lift));
    f.shows("turns_n", DimensionPlace::Angle(spiral));
    Ok(())
}
