//! Ear wire with a wrapped loop and a dropped front.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{
    COUNTED, KICK, WRAP_TAIL_MM, full_turns, wrapped_loop, wraps_cover_mm, wraps_longer_than,
};
use crate::pattern::pull::PullPoint;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Ear wire with a wrapped loop and a dropped front.
pub static PATTERN: Pattern = Pattern {
    kind: "wrapped-ear-wire",
    name: Text::named("wrapped-ear-wire-wrapped-ear-wire"),
    plural: Text::named("wrapped-ear-wire-wrapped-ear-wires"),
    also: &["wrapped hook", "wrapped hooks", "wrapped loop hook", "wrapped loop ear wire"],
    family: Family::EarWires,
    worn: Worn::Ear,
    paired: true,
    parameters: &[
        Parameter::mm(
            "loop_mm",
            Text::named("wrapped-ear-wire-loop"),
            [2.4, 1.0, 12.0],
            Text::named("wrapped-ear-wire-inside-wrapped-loop"),
        )
        .grows(),
        Parameter::turns(
            "wraps_n",
            Text::named("wrapped-ear-wire-wraps"),
            [3.0, 0.5, 12.0],
            Text::named("wrapped-ear-wire-wraps-under-loop"),
        ),
        Parameter::choice(
            "counted",
            Text::named("wrapped-ear-wire-wraps-counted-as"),
            COUNTED,
            1.0,
            Text::named("wrapped-ear-wire-how-wraps-counted"),
        ),
        Parameter::mm(
            "drop_mm",
            Text::named("wrapped-ear-wire-front-drop"),
            [9.0, 2.0, 80.0],
            Text::named("wrapped-ear-wire-front-leg-from-crown-down"),
        ),
        Parameter::mm(
            "crown_mm",
            Text::named("wrapped-ear-wire-crown"),
            [8.0, 3.0, 40.0],
            Text::named("wrapped-ear-wire-inside-bend-that-sits-in"),
        ),
        Parameter::mm(
            "back_mm",
            Text::named("wrapped-ear-wire-back"),
            [15.0, 2.0, 90.0],
            Text::named("wrapped-ear-wire-back-leg-with-its-tip"),
        ),
        Parameter::deg(
            "tip_deg",
            Text::named("wrapped-ear-wire-tip-out"),
            [18.0, 0.0, 80.0],
            Text::named("wrapped-ear-wire-how-far-tip-kicked-outward"),
        ),
        Parameter::mm(
            "tip_mm",
            Text::named("wrapped-ear-wire-tip"),
            [4.0, 1.0, 30.0],
            Text::named("wrapped-ear-wire-length-kicked-tip"),
        ),
        Parameter::mm(
            "hammered_mm",
            Text::named("wrapped-ear-wire-hammered"),
            [0.0, 0.1, 5.0],
            Text::named("wrapped-ear-wire-thickness-crown-hammered-0-leaves"),
        )
        .or_none(Text::named("wrapped-ear-wire-crown-not-hammered")),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.8118 },
    sized_by: &[],
    free: Free { height: "drop_mm", width: "crown_mm", blank: "back_mm" },
    page: Page {
        purpose: Text::named("wrapped-ear-wire-ear-wire-whose-loop-cannot"),
        wires: Text::named("wrapped-ear-wire-0-8-mm-20-awg"),
        faults: &[
            Mishap::new(
                Text::named("wrapped-ear-wire-pair-does-not-match"),
                Text::named("wrapped-ear-wire-crown-one-slipped-along-jaw"),
            ),
            Mishap::new(
                Text::named("wrapped-ear-wire-works-out-ear"),
                Text::named("wrapped-ear-wire-tip-not-bent-out-or"),
            ),
            Mishap::new(
                Text::named("wrapped-ear-wire-opens-under-heavy-drop"),
                Text::named("wrapped-ear-wire-wire-too-soft-or-thin"),
            ),
            Mishap::new(
                Text::named("wrapped-ear-wire-wraps-differ-from-others"),
                Text::named("wrapped-ear-wire-they-were-counted-differently-count"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let turns = full_turns(d.of("wraps_n"), d.second("counted"));
    let tip = f.lay(text!("part-tip"), Course::straight(d.of("tip_mm")));
    let bend = f.lay(text!("wrapped-ear-wire-tip-bend"), Course::right(KICK * f.h(), d.of("tip_deg")));
    let back = f.leg(text!("part-back"), d.of("back_mm") - d.of("tip_mm"), "back_mm")?;
    let crown = f.lay(text!("part-crown"), Course::left(d.of("crown_mm"), 180.0));
    let front = f.leg(text!("part-front"), d.of("drop_mm"), "drop_mm")?;
    let cover = wraps_cover_mm(f, turns);
    if d.of("drop_mm") < cover {
        return Err(wraps_longer_than("drop_mm", text!("part-front"), d.of("drop_mm"), cover));
    }
    let neck = f.segments.len();
    f.segments.extend(wrapped_loop(f, d.of("loop_mm"), turns));
    let wraps: Vec<usize> = (neck + 2..f.segments.len()).collect();
    f.openings.push(Opening {
        what: text!("wrapped-ear-wire-loop"),
        inside_mm: d.of("loop_mm"),
        mouth: None,
    });
    f.pressed.extend(wraps.iter().flat_map(|wrap| [(neck, *wrap), (neck + 1, *wrap), (front, *wrap)]));
    f.tails_mm.1 = WRAP_TAIL_MM;
    f.step(Operation::Loop, text!("part-loop"), &[neck, neck + 1]);
    f.step(Operation::Wrap, text!("part-wraps"), &wraps).hint =
        text!("wrapped-ear-wire-hang-drop-in-first-or");
    f.step(Operation::Bend, text!("part-crown"), &[crown]);
    if d.of("tip_deg") > 0.0 {
        f.step(Operation::Kick, text!("part-tip"), &[bend]);
    }
    f.hammer(&[crown], d.of("hammered_mm"), "hammered_mm")?;
    f.step(Operation::Round, text!("part-tip"), &[tip]);
    f.step(Operation::Hammer, text!("part-crown"), &[]);
    f.stands = (back, 90.0);
    f.bears.push(crown);
    f.pull = Some((PullPoint::In(crown), PullPoint::Closed(neck + 1)));
    f.wrapped.push(neck + 1);
    f.asks.push(DesignCheck::Tip { kick_deg: d.of("tip_deg") });
    f.shows("loop_mm", DimensionPlace::Across(neck + 1));
    f.shows("drop_mm", DimensionPlace::Along(front));
    f.shows("crown_mm", DimensionPlace::Across(crown));
    f.shows("back_mm", DimensionPlace::From(tip, back));
    f.shows("tip_deg", DimensionPlace::Angle(bend));
    Ok(())
}
