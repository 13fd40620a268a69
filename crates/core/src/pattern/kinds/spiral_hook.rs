//! Hook with a spiral head, a catch space and a lifted tip.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::kicked_tip;
use crate::pattern::pull::PullPoint;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Hook with a spiral head, a catch space and a lifted tip.
pub static PATTERN: Pattern = Pattern {
    kind: "spiral-hook",
    name: Text::named("spiral-hook-spiral-hook"),
    plural: Text::named("spiral-hook-spiral-hooks"),
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
            Text::named("spiral-hook-middle"),
            [0.0, 0.6, 12.0],
            Text::named("spiral-hook-opening-left-in-middle-spiral"),
        )
        .or_none(Text::named("spiral-hook-middle-squeezed-shut")),
        Parameter::turns(
            "turns_n",
            Text::named("spiral-hook-spiral-turns"),
            [2.0, 1.0, 8.0],
            Text::named("spiral-hook-turns-spiral"),
        ),
        Parameter::mm(
            "space_mm",
            Text::named("spiral-hook-ring-space"),
            [2.6, 0.6, 12.0],
            Text::named("spiral-hook-inside-space-bent-beside-spiral"),
        )
        .or_none(Text::named("spiral-hook-no-ring-space"))
        .grows(),
        Parameter::mm(
            "shank_mm",
            Text::named("spiral-hook-shank"),
            [10.0, 2.0, 80.0],
            Text::named("spiral-hook-straight-from-spiral-or-its"),
        )
        .grows(),
        Parameter::mm(
            "bend_mm",
            Text::named("spiral-hook-bend"),
            [5.0, 2.0, 30.0],
            Text::named("spiral-hook-inside-hooks-bend"),
        )
        .grows(),
        Parameter::mm(
            "catch_mm",
            Text::named("spiral-hook-catch"),
            [6.0, 1.0, 60.0],
            Text::named("spiral-hook-straight-part-where-ring-sits"),
        )
        .grows(),
        Parameter::deg(
            "lift_deg",
            Text::named("spiral-hook-tip-lifted"),
            [35.0, 0.0, 80.0],
            Text::named("spiral-hook-how-far-tip-lifted-away"),
        ),
        Parameter::mm(
            "tip_mm",
            Text::named("spiral-hook-tip"),
            [4.0, 1.0, 30.0],
            Text::named("spiral-hook-length-lifted-tip"),
        )
        .grows(),
        Parameter::mm(
            "ring_mm",
            Text::named("spiral-hook-for-rings"),
            [1.3, 0.3, 6.0],
            Text::named("spiral-hook-wire-ring-that-takes"),
        )
        .fits()
        .grows(),
    ],
    wire: UsualWire { metal: Metal::Copper, temper: Temper::Soft, size_mm: 1.291 },
    sized_by: &[],
    free: Free { height: "shank_mm", width: "bend_mm", blank: "shank_mm" },
    page: Page {
        purpose: Text::named("spiral-hook-hook-that-its-own-ornament"),
        wires: Text::named("spiral-hook-1-0-1-6-mm"),
        faults: &[
            Mishap::new(
                Text::named("spiral-hook-end-too-short-for-hook"),
                Text::named("spiral-hook-spiral-loose-keep-each-turn"),
            ),
            Mishap::new(
                Text::named("spiral-hook-ring-slips-out"),
                Text::named("spiral-hook-catch-space-shorter-than-rings"),
            ),
            Mishap::new(Text::named("spiral-hook-opens"), Text::named("spiral-hook-too-soft-too-thin-or")),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let pitch_mm = f.h();
    let spiral = f.lay(
        text!("part-spiral"),
        Course::Spiral { inner_mm: d.of("middle_mm"), turns: d.of("turns_n"), pitch_mm, roll_deg: 0.0 },
    );
    let space_mm = d.of("space_mm");
    let space =
        (space_mm > 0.0).then(|| f.lay(text!("spiral-hook-ring-space"), Course::right(space_mm, 180.0)));
    let shank = f.lay(text!("part-shank"), Course::straight(d.of("shank_mm")));
    // Away from the spiral, which the shank runs past.
    let hook = if space.is_some() { Course::left } else { Course::right };
    let bend = f.lay(text!("part-bend"), hook(d.of("bend_mm"), 180.0));
    let catch = f.lay(text!("part-catch"), Course::straight(d.of("catch_mm")));
    f.step(Operation::Spiral, text!("part-spiral"), &[spiral]);
    if let Some(space) = space {
        f.step(Operation::Bend, text!("spiral-hook-ring-space"), &[space]);
        f.openings.push(Opening { what: text!("spiral-hook-ring-space"), inside_mm: space_mm, mouth: None });
        f.shows("space_mm", DimensionPlace::Across(space));
    }
    f.step(Operation::Bend, text!("part-hook"), &[bend]);
    let (lift, tip) = kicked_tip(f, d.of("lift_deg"), d.of("tip_mm"), space.is_none());
    f.step(Operation::Round, text!("part-tip"), &[tip]);
    f.step(Operation::Hammer, text!("part-bend"), &[]);
    if d.of("middle_mm") > 0.0 {
        f.openings.push(Opening {
            what: text!("spiral-hook-middle-spiral"),
            inside_mm: d.of("middle_mm"),
            mouth: None,
        });
    }
    let takes = f.openings.len();
    f.openings.push(Opening {
        what: text!("spiral-hook-hook"),
        inside_mm: d.of("bend_mm"),
        mouth: Some((catch, shank)),
    });
    f.stands = (shank, 90.0);
    f.bears.push(bend);
    f.pull = Some((space.map_or(PullPoint::Closed(spiral), PullPoint::In), PullPoint::In(bend)));
    f.asks.push(DesignCheck::Takes { opening: takes, ring_mm: d.of("ring_mm") });
    f.shows("shank_mm", DimensionPlace::Along(shank));
    f.shows("bend_mm", DimensionPlace::Across(bend));
    f.shows("catch_mm", DimensionPlace::Along(catch));
    f.shows("lift_deg", DimensionPlace::Angle(lift));
    f.shows("turns_n", DimensionPlace::Angle(spiral));
    Ok(())
}
