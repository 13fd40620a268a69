//! Hook of doubled wire: folded at its nose, two eyes side by side.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, DesignCheck, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{ENDS, KICK, closes_on, flat_ends, flat_loop};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::{Course, backwards};
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Hook of doubled wire: folded at its nose, two eyes side by side.
pub static PATTERN: Pattern = Pattern {
    kind: "doubled-hook",
    name: Text::named("doubled-hook-double-wire-hook"),
    plural: Text::named("doubled-hook-double-wire-hooks"),
    also: &[
        "doubled-wire hook",
        "doubled hook",
        "doubled hooks",
        "double wire hook",
        "double wire hooks",
        "double hook",
        "double hook clasp",
        "double wire hook clasp",
    ],
    family: Family::Clasps,
    worn: Worn::Skin,
    paired: false,
    parameters: &[
        Parameter::mm(
            "eye_mm",
            Text::named("doubled-hook-eyes"),
            [3.0, 1.0, 20.0],
            Text::named("doubled-hook-inside-two-eyes-turned-sideways"),
        )
        .grows(),
        Parameter::mm(
            "shank_mm",
            Text::named("doubled-hook-shank"),
            [12.0, 2.0, 80.0],
            Text::named("doubled-hook-straight-from-eyes-bend"),
        )
        .grows(),
        Parameter::mm(
            "bend_mm",
            Text::named("doubled-hook-bend"),
            [5.0, 2.0, 30.0],
            Text::named("doubled-hook-inside-hooks-bend"),
        )
        .grows(),
        Parameter::mm(
            "nose_mm",
            Text::named("doubled-hook-nose"),
            [6.0, 0.5, 60.0],
            Text::named("doubled-hook-straight-from-bend-lift"),
        )
        .grows(),
        Parameter::deg(
            "lift_deg",
            Text::named("doubled-hook-nose-lifted"),
            [25.0, 5.0, 80.0],
            Text::named("doubled-hook-how-far-nose-lifted-outward"),
        )
        .or_none(Text::named("doubled-hook-nose-not-lifted")),
        Parameter::mm(
            "tip_mm",
            Text::named("doubled-hook-tip"),
            [2.5, 0.5, 20.0],
            Text::named("doubled-hook-length-lifted-nose-fold"),
        )
        .grows(),
        Parameter::mm(
            "fold_mm",
            Text::named("doubled-hook-fold"),
            [0.4, 0.0, 6.0],
            Text::named("doubled-hook-inside-fold-at-nose-once"),
        )
        .grows(),
        Parameter::mm(
            "ring_mm",
            Text::named("doubled-hook-for-rings"),
            [1.3, 0.3, 6.0],
            Text::named("doubled-hook-wire-ring-that-takes"),
        )
        .fits()
        .grows(),
        ENDS,
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::Soft, size_mm: 1.024 },
    sized_by: &[],
    free: Free { height: "shank_mm", width: "bend_mm", blank: "shank_mm" },
    page: Page {
        purpose: Text::named("doubled-hook-twice-wire-twice-strength-with"),
        wires: Text::named("doubled-hook-0-8-1-3-mm"),
        faults: &[
            Mishap::new(
                Text::named("doubled-hook-two-wires-part"),
                Text::named("doubled-hook-they-were-not-pressed-together"),
            ),
            Mishap::new(
                Text::named("doubled-hook-fold-snaps"),
                Text::named("doubled-hook-wire-was-too-hard-fold"),
            ),
            Mishap::new(
                Text::named("doubled-hook-ring-does-not-go-in"),
                Text::named("doubled-hook-mouth-narrower-than-rings-wire"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    // Sideways, away from the other wire.
    let flat = flat_ends(f, d.of("ends_mm"))?;
    let eye = flat_loop(f, text!("part-eye"), (d.of("eye_mm"), flat), -90.0);
    closes_on(f, d.of("eye_mm"), text!("part-shank"), d.of("shank_mm"), "shank_mm")?;
    let shank = f.lay(text!("part-shank"), Course::straight(d.of("shank_mm")));
    let bend = f.lay(text!("part-bend"), Course::right(d.of("bend_mm"), 180.0));
    let nose = f.lay(text!("part-nose"), Course::straight(d.of("nose_mm")));
    let lift = (d.of("lift_deg") > 0.0).then(|| {
        let lift = f.lay(text!("part-lift"), Course::left(KICK * f.h(), d.of("lift_deg")));
        f.lay(text!("part-tip"), Course::straight(d.of("tip_mm")));
        lift
    });
    let near: Vec<_> = f.segments.clone();
    let fold = f.lay(
        text!("part-fold"),
        Course::Bend { inside_mm: d.of("fold_mm"), angle_deg: 180.0, roll_deg: 90.0, rise_mm: 0.0 },
    );
    f.segments.extend(backwards(&near));
    let last = f.segments.len() - 1;
    // The other wire's eye lies to its other side.
    if let Course::Bend { roll_deg, .. } = &mut f.segments[last].course {
        *roll_deg = -*roll_deg;
    }
    f.closures.push(Closure { what: text!("doubled-hook-second-eye"), far_end: true, on: Some(last - 1) });
    f.pressed.extend((0..fold).map(|i| (i, last - i)));
    f.openings.push(Opening {
        what: text!("doubled-hook-hook"),
        inside_mm: d.of("bend_mm"),
        mouth: Some((nose, shank)),
    });
    f.step(Operation::Loop, text!("doubled-hook-both-eyes"), &[eye, last]).hint =
        text!("doubled-hook-roll-both-at-one-mark");
    f.step(Operation::Fold, text!("part-wire"), &[fold]).hint =
        text!("doubled-hook-press-two-wires-together-along");
    if let Some(lift) = lift {
        f.step(Operation::Kick, text!("part-nose"), &[lift, last - lift]);
        f.shows("lift_deg", DimensionPlace::Angle(lift));
    }
    f.step(Operation::Bend, text!("part-hook"), &[bend, last - bend]);
    f.step(Operation::Hammer, text!("part-bend"), &[]);
    f.stands = (shank, 90.0);
    f.bears.push(bend);
    f.pulled(eye, bend);
    f.strands = 2.0;
    f.asks.push(DesignCheck::Takes { opening: 1, ring_mm: d.of("ring_mm") });
    f.shows("eye_mm", DimensionPlace::Across(eye));
    f.shows("shank_mm", DimensionPlace::Along(shank));
    f.shows("bend_mm", DimensionPlace::Across(bend));
    f.shows("nose_mm", DimensionPlace::Along(nose));
    Ok(())
}
