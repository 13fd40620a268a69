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
use lorimant_text::{Text, text};

/// A pair of hooks bent at once from one folded length.
pub static PATTERN: Pattern = Pattern {
    kind: "folded-pair",
    name: Text::named("folded-pair-folded-pair-hooks"),
    plural: Text::named("folded-pair-folded-pairs-hooks"),
    also: &["folded hooks", "folded pair", "folded pairs"],
    family: Family::EarWires,
    worn: Worn::Ear,
    paired: false,
    parameters: &[
        Parameter::mm(
            "loop_mm",
            Text::named("folded-pair-loop"),
            [2.2, 0.8, 12.0],
            Text::named("folded-pair-inside-loop-drop-hangs-in"),
        )
        .grows(),
        Parameter::mm(
            "front_mm",
            Text::named("folded-pair-front"),
            [9.0, 1.0, 80.0],
            Text::named("folded-pair-straight-front-leg-from-loop"),
        ),
        Parameter::mm(
            "crown_mm",
            Text::named("folded-pair-crown"),
            [8.0, 3.0, 40.0],
            Text::named("folded-pair-inside-bend-that-sits-in"),
        ),
        Parameter::mm(
            "back_mm",
            Text::named("folded-pair-back"),
            [13.0, 2.0, 90.0],
            Text::named("folded-pair-back-leg-with-its-tip"),
        ),
        Parameter::deg(
            "tip_deg",
            Text::named("folded-pair-tip-out"),
            [18.0, 5.0, 80.0],
            Text::named("folded-pair-how-far-tips-kicked-outward"),
        )
        .or_none(Text::named("folded-pair-tips-left-straight")),
        Parameter::mm(
            "tip_mm",
            Text::named("folded-pair-tip"),
            [3.5, 1.0, 30.0],
            Text::named("folded-pair-length-kicked-tips"),
        ),
        Parameter::mm(
            "fold_mm",
            Text::named("folded-pair-fold"),
            [0.8, 0.0, 6.0],
            Text::named("folded-pair-inside-fold-at-front-that"),
        )
        .grows(),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.8118 },
    sized_by: &[],
    free: Free { height: "front_mm", width: "crown_mm", blank: "back_mm" },
    page: Page {
        purpose: Text::named("folded-pair-two-ear-wires-that-cannot"),
        wires: Text::named("folded-pair-0-8-mm-20-awg"),
        faults: &[
            Mishap::new(
                Text::named("folded-pair-one-longer"),
                Text::named("folded-pair-fold-was-not-in-middle"),
            ),
            Mishap::new(
                Text::named("folded-pair-loops-not-alike"),
                Text::named("folded-pair-they-were-rolled-at-different"),
            ),
            Mishap::new(
                Text::named("folded-pair-works-out-ear"),
                Text::named("folded-pair-tip-not-bent-out-or"),
            ),
            Mishap::new(
                Text::named("folded-pair-opens-under-heavy-drop"),
                Text::named("folded-pair-wire-too-soft-or-thin"),
            ),
            Mishap::new(
                Text::named("folded-pair-scratches"),
                Text::named("folded-pair-tip-not-rounded-use-cup"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (loop_mm, neck_mm, h) = (d.of("loop_mm"), NECK * f.h(), f.h());
    let (r, neck_r) = (f.mean(loop_mm), f.mean(neck_mm));
    f.lay(text!("part-tip"), Course::straight(d.of("tip_mm")));
    let kick = f.lay(text!("folded-pair-tip-bend"), Course::right(KICK * h, d.of("tip_deg")));
    let back = f.leg(text!("part-back"), d.of("back_mm") - d.of("tip_mm"), "back_mm")?;
    let crown = f.lay(text!("part-crown"), Course::left(d.of("crown_mm"), 180.0));
    let front = f.lay(text!("part-front"), Course::straight(d.of("front_mm")));
    let neck = f.lay(text!("part-neck"), Course::right(neck_mm, bend_back_deg(r, neck_r)));
    let rolled = f.lay(text!("part-loop"), Course::left(loop_mm, on_neck_deg(loop_mm, (h, h), neck_r)));
    f.openings.push(Opening { what: text!("folded-pair-loop"), inside_mm: loop_mm, mouth: None });
    let near: Vec<_> = f.segments.clone();
    let fold = f.lay(
        text!("part-fold"),
        Course::Bend { inside_mm: d.of("fold_mm"), angle_deg: 180.0, roll_deg: 90.0, rise_mm: 0.0 },
    );
    f.segments.extend(backwards(&near));
    let last = f.segments.len() - 1;
    f.pressed.extend((0..fold).map(|i| (i, last - i)));
    // Each loop's end lands on its neck, beside its front.
    for (loop_at, neck, front) in [(rolled, neck, front), (last - rolled, last - neck, last - front)] {
        f.pressed.extend([(neck, loop_at), (front, loop_at), (neck, fold), (front, fold), (loop_at, fold)]);
    }
    f.step(Operation::Fold, text!("part-wire"), &[fold]);
    f.step(Operation::Bend, text!("folded-pair-both-necks"), &[neck, last - neck]).hint =
        text!("folded-pair-both-front-legs-together-near");
    f.step(Operation::Bend, text!("folded-pair-both-crowns"), &[crown, last - crown]);
    if d.of("tip_deg") > 0.0 {
        f.step(Operation::Kick, text!("folded-pair-both-tips"), &[kick, last - kick]).hint =
            text!("folded-pair-trim-two-tips-even-first");
    }
    f.step(Operation::Round, text!("part-tips"), &[]).hint = text!("folded-pair-while-they-still-joined");
    f.step(Operation::Hammer, text!("part-crowns"), &[]);
    f.step(Operation::Part, text!("part-fold"), &[]);
    f.step(Operation::Loop, text!("folded-pair-both-loops"), &[rolled, last - rolled]);
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
