//! A pair of hooks bent at once from one folded length.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::former::{Closure, Dims, Former, Lies};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{closes_on, plain_loop};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::{Course, backwards};
use crate::wire::metal::{Metal, Temper};

/// A pair of hooks bent at once from one folded length.
pub static PATTERN: Pattern = Pattern {
    kind: "folded-pair",
    name: "folded pair of hooks",
    plural: "folded pairs of hooks",
    also: &["folded hooks", "folded pair", "folded pairs"],
    family: Family::EarWires,
    worn: Worn::Ear,
    paired: false,
    parameters: &[
        Parameter::mm("loop_mm", "loop", [2.2, 0.8, 12.0], "Inside of the loop the drop hangs in."),
        Parameter::mm("front_mm", "front", [11.0, 1.0, 80.0], "Straight front leg, from loop to crown."),
        Parameter::mm("crown_mm", "crown", [9.0, 3.0, 40.0], "Inside of the bend that sits in the ear."),
        Parameter::mm("back_mm", "back", [19.0, 2.0, 90.0], "Back leg with its tip, from crown to end."),
        Parameter::mm(
            "fold_mm",
            "fold",
            [0.8, 0.0, 6.0],
            "Inside of the fold that joins the two; it is parted last.",
        ),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.8118 },
    sized_by: &[],
    free: Free { height: "front_mm", width: "crown_mm", blank: "back_mm" },
    page: Page {
        purpose: "Two hooks that cannot help matching: one wire folded in half, both loops rolled side by side, both crowns bent together. The fold stays until the tumbling is done, so a pair is never parted by accident.",
        wires: "0.64 to 1.0 mm; 0.81 mm (20 AWG) fits most piercings, thicker for large and heavy pieces, thinner for small ears. Half-hard and done, or soft and hardened on the block afterwards: makers differ.",
        faults: &[
            Mishap::new(
                "One is longer",
                "The fold was not in the middle: fold at half the blank exactly, and lay the ends together before rolling.",
            ),
            Mishap::new(
                "The loops are not alike",
                "They were rolled one after the other at different places: hold both ends at one mark.",
            ),
            Mishap::new(
                "It works out of the ear",
                "The tip has no kick, or the crown is too wide for the ear.",
            ),
            Mishap::new(
                "It opens under a heavy drop",
                "The wire is too soft or thin: harden the crown, or take thicker wire.",
            ),
            Mishap::new(
                "It scratches",
                "The tip is not rounded: cup burr or emery, one direction, then test it on your own ear.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Former) -> Result<(), Fault> {
    let rolled = plain_loop(f, "loop", d.of("loop_mm"), false);
    closes_on(f, d.of("loop_mm"), "front", d.of("front_mm"), "front_mm")?;
    let front = f.lay("front", Course::straight(d.of("front_mm")));
    let crown = f.lay("crown", Course::right(d.of("crown_mm"), 180.0));
    let back = f.leg("back", d.of("back_mm"), "back_mm")?;
    let near: Vec<_> = f.segments.clone();
    let fold = f.lay(
        "fold",
        Course::Bend { inside_mm: d.of("fold_mm"), angle_deg: 180.0, roll_deg: 90.0, rise_mm: 0.0 },
    );
    f.segments.extend(backwards(&near));
    let last = f.segments.len() - 1;
    f.closures.push(Closure { what: "second loop", far_end: true, on: Some(last - 1) });
    f.pressed.extend((0..fold).map(|i| (i, last - i)));
    f.step(Operation::Fold, "wire", &[fold]);
    f.step(Operation::Loop, "both loops", &[rolled, last]);
    f.step(Operation::Bend, "both crowns", &[crown, last - crown]);
    f.step(Operation::Hammer, "crowns", &[]);
    f.step(Operation::Part, "fold", &[]);
    f.step(Operation::Round, "tips", &[]);
    f.stands = (front, 90.0);
    f.bears.push(crown);
    f.shows("loop_mm", Lies::Across(rolled));
    f.shows("front_mm", Lies::Along(front));
    f.shows("crown_mm", Lies::Across(crown));
    f.shows("back_mm", Lies::Along(back));
    Ok(())
}
