//! Ear wire with a wrapped loop and a dropped front.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{
    COUNTED, KICK, WRAP_TAIL_MM, full_turns, wrapped_loop, wraps_cover_mm, wraps_longer_than,
};
use crate::pattern::pull::Hold;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Ear wire with a wrapped loop and a dropped front.
pub static PATTERN: Pattern = Pattern {
    kind: "wrapped-ear-wire",
    name: "wrapped ear wire",
    plural: "wrapped ear wires",
    also: &["wrapped hook", "wrapped hooks", "wrapped loop hook", "wrapped loop ear wire"],
    family: Family::EarWires,
    worn: Worn::Ear,
    paired: true,
    parameters: &[
        Parameter::mm("loop_mm", "loop", [2.4, 1.0, 12.0], "Inside of the wrapped loop.").grows(),
        Parameter::turns("wraps_n", "wraps", [3.0, 0.5, 12.0], "Wraps under the loop."),
        Parameter::choice("counted", "wraps counted as", COUNTED, 1.0, "How the wraps are counted."),
        Parameter::mm(
            "drop_mm",
            "front drop",
            [9.0, 2.0, 80.0],
            "Front leg, from the crown down to the loop's neck.",
        ),
        Parameter::mm("crown_mm", "crown", [8.0, 3.0, 40.0], "Inside of the bend that sits in the ear."),
        Parameter::mm("back_mm", "back", [15.0, 2.0, 90.0], "Back leg with its tip, from crown to end."),
        Parameter::deg("tip_deg", "tip out", [18.0, 0.0, 80.0], "How far the tip is kicked outward."),
        Parameter::mm("tip_mm", "tip", [4.0, 1.0, 30.0], "Length of the kicked tip."),
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
    free: Free { height: "drop_mm", width: "crown_mm", blank: "back_mm" },
    page: Page {
        purpose: "An ear wire whose loop cannot open: hang the drop before the wraps are closed. The long \
                  front lets it swing below the lobe.",
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
                "The wraps differ from the other's",
                "They were counted differently. Count both the same way, on the same side.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let turns = full_turns(d.of("wraps_n"), d.second("counted"));
    let tip = f.lay("tip", Course::straight(d.of("tip_mm")));
    let bend = f.lay("tip bend", Course::right(KICK * f.h(), d.of("tip_deg")));
    let back = f.leg("back", d.of("back_mm") - d.of("tip_mm"), "back_mm")?;
    let crown = f.lay("crown", Course::left(d.of("crown_mm"), 180.0));
    let front = f.leg("front", d.of("drop_mm"), "drop_mm")?;
    let cover = wraps_cover_mm(f, turns);
    if d.of("drop_mm") < cover {
        return Err(wraps_longer_than("drop_mm", "front", d.of("drop_mm"), cover));
    }
    let neck = f.segments.len();
    f.segments.extend(wrapped_loop(f, d.of("loop_mm"), turns));
    let wraps: Vec<usize> = (neck + 2..f.segments.len()).collect();
    f.openings.push(Opening { what: "loop", inside_mm: d.of("loop_mm"), mouth: None });
    f.pressed.extend(wraps.iter().flat_map(|wrap| [(neck, *wrap), (neck + 1, *wrap), (front, *wrap)]));
    f.tails_mm.1 = WRAP_TAIL_MM;
    f.step(Operation::Loop, "loop", &[neck, neck + 1]);
    f.step(Operation::Wrap, "wraps", &wraps).hint =
        "Hang the drop in first, or open the drop's own loop afterwards.";
    f.step(Operation::Bend, "crown", &[crown]);
    if d.of("tip_deg") > 0.0 {
        f.step(Operation::Kick, "tip", &[bend]);
    }
    f.hammer(&[crown], d.of("hammered_mm"), "hammered_mm")?;
    f.step(Operation::Round, "tip", &[tip]);
    f.step(Operation::Hammer, "crown", &[]);
    f.stands = (back, 90.0);
    f.bears.push(crown);
    f.pull = Some((Hold::In(crown), Hold::Closed(neck + 1)));
    f.wrapped.push(neck + 1);
    f.asks.push(DesignCheck::Tip { kick_deg: d.of("tip_deg") });
    f.shows("loop_mm", DimensionPlace::Across(neck + 1));
    f.shows("drop_mm", DimensionPlace::Along(front));
    f.shows("crown_mm", DimensionPlace::Across(crown));
    f.shows("back_mm", DimensionPlace::From(tip, back));
    f.shows("tip_deg", DimensionPlace::Angle(bend));
    Ok(())
}
