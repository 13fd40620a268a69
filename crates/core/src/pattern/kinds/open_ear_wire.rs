//! Open ear wire: a hook with a plain loop.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{closes_on, kicked_tip, plain_loop};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Open ear wire: a hook with a plain loop.
pub static PATTERN: Pattern = Pattern {
    kind: "open-ear-wire",
    name: Text::named("open-ear-wire-ear-wire"),
    plural: Text::named("open-ear-wire-ear-wires"),
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
        Parameter::mm(
            "loop_mm",
            Text::named("open-ear-wire-loop"),
            [2.2, 0.8, 12.0],
            Text::named("open-ear-wire-inside-loop-drop-hangs-in"),
        )
        .grows(),
        Parameter::mm(
            "front_mm",
            Text::named("open-ear-wire-front"),
            [9.0, 1.0, 80.0],
            Text::named("open-ear-wire-straight-front-leg-from-loop"),
        ),
        Parameter::mm(
            "crown_mm",
            Text::named("open-ear-wire-crown"),
            [8.0, 3.0, 40.0],
            Text::named("open-ear-wire-inside-bend-that-sits-in"),
        ),
        Parameter::mm(
            "back_mm",
            Text::named("open-ear-wire-back"),
            [13.0, 2.0, 90.0],
            Text::named("open-ear-wire-back-leg-with-its-tip"),
        ),
        Parameter::deg(
            "tip_deg",
            Text::named("open-ear-wire-tip-out"),
            [18.0, 0.0, 80.0],
            Text::named("open-ear-wire-how-far-tip-kicked-outward"),
        ),
        Parameter::mm(
            "tip_mm",
            Text::named("open-ear-wire-tip"),
            [3.5, 1.0, 30.0],
            Text::named("open-ear-wire-length-kicked-tip"),
        ),
        Parameter::choice(
            "loop_side",
            Text::named("open-ear-wire-loop-turned"),
            &[Text::named("open-ear-wire-loop-front"), Text::named("open-ear-wire-loop-back")],
            1.0,
            Text::named("open-ear-wire-which-way-loop-rolled"),
        ),
        Parameter::mm(
            "hammered_mm",
            Text::named("open-ear-wire-hammered"),
            [0.0, 0.1, 5.0],
            Text::named("open-ear-wire-thickness-crown-hammered-0-leaves"),
        )
        .or_none(Text::named("open-ear-wire-crown-not-hammered")),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.8118 },
    sized_by: &[],
    free: Free { height: "front_mm", width: "crown_mm", blank: "back_mm" },
    page: Page {
        purpose: Text::named("open-ear-wire-everyday-ear-wire-drop-hangs"),
        wires: Text::named("open-ear-wire-0-8-mm-20-awg"),
        faults: &[
            Mishap::new(
                Text::named("open-ear-wire-pair-does-not-match"),
                Text::named("open-ear-wire-crown-one-slipped-along-jaw"),
            ),
            Mishap::new(
                Text::named("open-ear-wire-works-out-ear"),
                Text::named("open-ear-wire-tip-not-bent-out-or"),
            ),
            Mishap::new(
                Text::named("open-ear-wire-opens-under-heavy-drop"),
                Text::named("open-ear-wire-wire-too-soft-or-thin"),
            ),
            Mishap::new(
                Text::named("open-ear-wire-scratches"),
                Text::named("open-ear-wire-tip-not-rounded-use-cup"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let rolled = plain_loop(f, text!("part-loop"), d.of("loop_mm"), d.second("loop_side"));
    f.step(Operation::Loop, text!("part-loop"), &[rolled]);
    closes_on(f, d.of("loop_mm"), text!("part-front"), d.of("front_mm"), "front_mm")?;
    let front = f.lay(text!("part-front"), Course::straight(d.of("front_mm")));
    let crown = f.lay(text!("part-crown"), Course::right(d.of("crown_mm"), 180.0));
    f.step(Operation::Bend, text!("part-crown"), &[crown]);
    let back = f.leg(text!("part-back"), d.of("back_mm") - d.of("tip_mm"), "back_mm")?;
    let (bend, tip) = kicked_tip(f, d.of("tip_deg"), d.of("tip_mm"), true);
    f.hammer(&[crown], d.of("hammered_mm"), "hammered_mm")?;
    f.step(Operation::Round, text!("part-tip"), &[tip]);
    f.step(Operation::Hammer, text!("part-crown"), &[]);
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
