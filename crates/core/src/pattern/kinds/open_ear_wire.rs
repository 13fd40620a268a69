//! Open ear wire: a hook with a plain loop.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{closes_on, kicked_tip, plain_loop};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Open ear wire: a hook with a plain loop.
pub static PATTERN: Pattern = Pattern {
    kind: "open-ear-wire",
    name: "ear wire",
    plural: "ear wires",
    also: &[
        "open hook",
        "open hooks",
        "hook",
        "hooks",
        "open ear wire",
        "earring wire",
        "earring hook",
        "ear hook",
        "fish hook",
        "shepherd hook",
        "french hook",
        "french ear wire",
        "fish hook ear wire",
    ],
    family: Family::EarWires,
    worn: Worn::Ear,
    paired: true,
    parameters: &[
        Parameter::mm("loop_mm", "loop", [2.2, 0.8, 12.0], "Inside of the loop the drop hangs in.").grows(),
        Parameter::mm("front_mm", "front", [11.0, 1.0, 80.0], "Straight front leg, from loop to crown."),
        Parameter::mm("crown_mm", "crown", [9.0, 3.0, 40.0], "Inside of the bend that sits in the ear."),
        Parameter::mm("back_mm", "back", [19.0, 2.0, 90.0], "Back leg with its tip, from crown to end."),
        Parameter::deg("tip_deg", "tip out", [18.0, 0.0, 80.0], "How far the tip is kicked outward."),
        Parameter::mm("tip_mm", "tip", [4.0, 1.0, 30.0], "Length of the kicked tip."),
        Parameter::choice(
            "loop_side",
            "loop turned",
            &["loop to the front", "loop to the back"],
            1.0,
            "Which way the loop is rolled.",
        ),
        Parameter::mm(
            "hammered_mm",
            "hammered to",
            [0.0, 0.1, 5.0],
            "Thickness the crown is hammered to; 0 leaves it round.",
        )
        .or_none("crown not hammered"),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.8118 },
    sized_by: &[],
    free: Free { height: "front_mm", width: "crown_mm", blank: "back_mm" },
    page: Page {
        purpose: "The everyday ear wire. The drop hangs in the plain loop, which is opened sideways to take it.",
        wires: "0.8 mm (20 AWG) is usual, 0.64 for small ears, 0.72 in between and hard to buy; 1.0 is too thick for most piercings. Half-hard and done, or soft and hardened on the block afterwards: makers differ.",
        faults: &[
            Mishap::new(
                "The pair does not match",
                "The crown of one slipped along the jaw or rod. Mark both blanks from the same template.",
            ),
            Mishap::new(
                "It works out of the ear",
                "The tip is not bent out, or the crown is too wide for the ear.",
            ),
            Mishap::new(
                "It opens under a heavy drop",
                "The wire is too soft or thin. Harden the crown, or use thicker wire.",
            ),
            Mishap::new(
                "It scratches",
                "The tip is not rounded. Use a cup burr or emery, one direction, then test it on your own ear.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let rolled = plain_loop(f, "loop", d.of("loop_mm"), d.second("loop_side"));
    f.step(Operation::Loop, "loop", &[rolled]);
    closes_on(f, d.of("loop_mm"), "front", d.of("front_mm"), "front_mm")?;
    let front = f.lay("front", Course::straight(d.of("front_mm")));
    let crown = f.lay("crown", Course::right(d.of("crown_mm"), 180.0));
    f.step(Operation::Bend, "crown", &[crown]);
    let back = f.leg("back", d.of("back_mm") - d.of("tip_mm"), "back_mm")?;
    let (bend, tip) = kicked_tip(f, d.of("tip_deg"), d.of("tip_mm"), true);
    f.hammer(&[crown], d.of("hammered_mm"), "hammered_mm")?;
    f.step(Operation::Round, "tip", &[tip]);
    f.step(Operation::Hammer, "crown", &[]);
    f.stands = (front, 90.0);
    f.bears.push(crown);
    f.pulled(rolled, crown);
    f.asks.push(DesignCheck::Tip { kick_deg: d.of("tip_deg") });
    f.shows("loop_mm", DimensionPlace::Across(rolled));
    f.shows("front_mm", DimensionPlace::Along(front));
    f.shows("crown_mm", DimensionPlace::Across(crown));
    f.shows("back_mm", DimensionPlace::From(back, tip));
    f.shows("tip_deg", DimensionPlace::Angle(bend));
    Ok(())
}
