//! A pair of hooks bent at once from one folded length.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{KICK, NECK};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::closing::{bend_back_deg, on_neck_deg};
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
        Parameter::mm("loop_mm", "loop", [2.2, 0.8, 12.0], "Inside of the loop the drop hangs in.").grows(),
        Parameter::mm("front_mm", "front", [11.0, 1.0, 80.0], "Straight front leg, from loop to crown."),
        Parameter::mm("crown_mm", "crown", [9.0, 3.0, 40.0], "Inside of the bend that sits in the ear."),
        Parameter::mm("back_mm", "back", [19.0, 2.0, 90.0], "Back leg with its tip, from crown to end."),
        Parameter::deg("tip_deg", "tip out", [18.0, 5.0, 80.0], "How far the tips are kicked outward.")
            .or_none("tips left straight"),
        Parameter::mm("tip_mm", "tip", [4.0, 1.0, 30.0], "Length of the kicked tips."),
        Parameter::mm(
            "fold_mm",
            "fold",
            [0.8, 0.0, 6.0],
            "Inside of the fold at the front that joins the two; it is parted last and falls off.",
        )
        .grows(),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.8118 },
    sized_by: &[],
    free: Free { height: "front_mm", width: "crown_mm", blank: "back_mm" },
    page: Page {
        purpose: "Two ear wires that cannot help matching: one wire folded in half, both crowns bent \
                  together, both tips kicked and rounded side by side. The fold at the front stays until \
                  the tumbling is done. Then it is cut and the loops are rolled.",
        wires: "0.8 mm (20 AWG) is usual, 0.64 for small ears, 0.72 in between and hard to buy; 1.0 is too thick for most piercings. Half-hard and done, or soft and hardened on the block afterwards: makers differ.",
        faults: &[
            Mishap::new(
                "One is longer",
                "The fold was not in the middle. Fold at exactly half the blank, and trim the two tips even.",
            ),
            Mishap::new(
                "The loops are not alike",
                "They were rolled at different places on the jaw. Mark it, and roll one straight after the \
                 other.",
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
    let (loop_mm, neck_mm, h) = (d.of("loop_mm"), NECK * f.h(), f.h());
    let (r, neck_r) = (f.mean(loop_mm), f.mean(neck_mm));
    f.lay("tip", Course::straight(d.of("tip_mm")));
    let kick = f.lay("tip bend", Course::right(KICK * h, d.of("tip_deg")));
    let back = f.leg("back", d.of("back_mm") - d.of("tip_mm"), "back_mm")?;
    let crown = f.lay("crown", Course::left(d.of("crown_mm"), 180.0));
    let front = f.lay("front", Course::straight(d.of("front_mm")));
    let neck = f.lay("neck", Course::right(neck_mm, bend_back_deg(r, neck_r)));
    let rolled = f.lay("loop", Course::left(loop_mm, on_neck_deg(loop_mm, (h, h), neck_r)));
    f.openings.push(Opening { what: "loop", inside_mm: loop_mm, mouth: None });
    let near: Vec<_> = f.segments.clone();
    let fold = f.lay(
        "fold",
        Course::Bend { inside_mm: d.of("fold_mm"), angle_deg: 180.0, roll_deg: 90.0, rise_mm: 0.0 },
    );
    f.segments.extend(backwards(&near));
    let last = f.segments.len() - 1;
    f.pressed.extend((0..fold).map(|i| (i, last - i)));
    // Each loop's end lands on its neck, beside its front.
    for (loop_at, neck, front) in [(rolled, neck, front), (last - rolled, last - neck, last - front)] {
        f.pressed.extend([(neck, loop_at), (front, loop_at), (neck, fold), (front, fold), (loop_at, fold)]);
    }
    f.step(Operation::Fold, "wire", &[fold]);
    f.step(Operation::Bend, "both necks", &[neck, last - neck]).hint =
        "Both front legs together, near the fold: what is beyond it becomes the loops.";
    f.step(Operation::Bend, "both crowns", &[crown, last - crown]);
    if d.of("tip_deg") > 0.0 {
        f.step(Operation::Kick, "both tips", &[kick, last - kick]).hint = "Trim the two tips even first.";
    }
    f.step(Operation::Round, "tips", &[]).hint = "While they are still joined.";
    f.step(Operation::Hammer, "crowns", &[]);
    f.step(Operation::Part, "fold", &[]);
    f.step(Operation::Loop, "both loops", &[rolled, last - rolled]);
    f.stands = (back, 90.0);
    f.bears.push(crown);
    f.pulled(rolled, crown);
    f.asks.push(DesignCheck::Tip { kick_deg: d.of("tip_deg") });
    f.shows("loop_mm", DimensionPlace::Across(rolled));
    f.shows("front_mm", DimensionPlace::Along(front));
    f.shows("crown_mm", DimensionPlace::Across(crown));
    f.shows("back_mm", DimensionPlace::From(0, back));
    Ok(())
}
