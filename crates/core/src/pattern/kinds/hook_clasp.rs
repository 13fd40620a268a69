//! Hook clasp with a plain eye; its tip plain or curved outward.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{ENDS, closes_on, flat_ends, flat_loop, kicked_tip};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Hook clasp with a plain eye; its tip plain or curved outward.
pub static PATTERN: Pattern = Pattern {
    kind: "hook-clasp",
    name: Text::named("hook-clasp-hook-clasp"),
    plural: Text::named("hook-clasp-hook-clasps"),
    also: &["clasp hook", "clasp hooks", "hook and eye"],
    family: Family::Clasps,
    worn: Worn::Skin,
    paired: false,
    parameters: &[
        Parameter::mm(
            "eye_mm",
            Text::named("hook-clasp-eye"),
            [4.0, 1.0, 20.0],
            Text::named("hook-clasp-inside-eye-at-its-end"),
        )
        .grows(),
        Parameter::mm(
            "shank_mm",
            Text::named("hook-clasp-shank"),
            [14.0, 2.0, 80.0],
            Text::named("hook-clasp-straight-from-eye-bend"),
        )
        .grows(),
        Parameter::mm(
            "bend_mm",
            Text::named("hook-clasp-bend"),
            [5.0, 2.0, 30.0],
            Text::named("hook-clasp-inside-hooks-bend"),
        )
        .grows(),
        Parameter::deg(
            "turn_deg",
            Text::named("hook-clasp-turned"),
            [190.0, 150.0, 230.0],
            Text::named("hook-clasp-how-far-bend-turns-past"),
        ),
        Parameter::mm(
            "nose_mm",
            Text::named("hook-clasp-nose"),
            [7.0, 0.5, 60.0],
            Text::named("hook-clasp-straight-from-bend-tip"),
        )
        .grows(),
        Parameter::mm(
            "curl_mm",
            Text::named("hook-clasp-tip-curled"),
            [0.0, 0.6, 12.0],
            Text::named("hook-clasp-inside-curl-tip-rolled-into"),
        )
        .or_none(Text::named("hook-clasp-tip-not-curled")),
        Parameter::deg(
            "tip_deg",
            Text::named("hook-clasp-tip-out"),
            [30.0, 5.0, 80.0],
            Text::named("hook-clasp-how-far-tip-bent-out"),
        )
        .from(|request| if request.value("curl_mm") > 0.0 { 0.0 } else { 30.0 })
        .or_none(Text::named("hook-clasp-tip-left-plain")),
        Parameter::mm(
            "tip_mm",
            Text::named("hook-clasp-tip"),
            [3.0, 1.0, 20.0],
            Text::named("hook-clasp-length-bent-tip"),
        )
        .grows(),
        Parameter::mm(
            "ring_mm",
            Text::named("hook-clasp-for-rings"),
            [1.3, 0.3, 6.0],
            Text::named("hook-clasp-wire-ring-that-takes"),
        )
        .fits()
        .grows(),
        Parameter::mm(
            "hammered_mm",
            Text::named("hook-clasp-hammered"),
            [0.0, 0.1, 5.0],
            Text::named("hook-clasp-thickness-bend-hammered-0-leaves"),
        )
        .or_none(Text::named("hook-clasp-bend-not-hammered")),
        ENDS,
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 1.291 },
    sized_by: &[],
    free: Free { height: "shank_mm", width: "bend_mm", blank: "shank_mm" },
    page: Page {
        purpose: Text::named("hook-clasp-plainest-clasp-ring-drops-over"),
        wires: Text::named("hook-clasp-1-0-1-6-mm"),
        faults: &[
            Mishap::new(Text::named("hook-clasp-opens"), Text::named("hook-clasp-too-soft-too-thin-or")),
            Mishap::new(
                Text::named("hook-clasp-ring-does-not-go-in"),
                Text::named("hook-clasp-mouth-narrower-than-rings-wire"),
            ),
            Mishap::new(
                Text::named("hook-clasp-slips-off-when-slack"),
                Text::named("hook-clasp-nose-short-or-mouth-much"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let flat = flat_ends(f, d.of("ends_mm"))?;
    let eye = flat_loop(f, text!("part-eye"), (d.of("eye_mm"), flat), 0.0);
    closes_on(f, d.of("eye_mm"), text!("part-shank"), d.of("shank_mm"), "shank_mm")?;
    let shank = f.lay(text!("part-shank"), Course::straight(d.of("shank_mm")));
    let bend = f.lay(text!("part-bend"), Course::right(d.of("bend_mm"), d.of("turn_deg")));
    let nose = f.lay(text!("part-nose"), Course::straight(d.of("nose_mm")));
    f.openings.push(Opening {
        what: text!("hook-clasp-hook"),
        inside_mm: d.of("bend_mm"),
        mouth: Some((nose, shank)),
    });
    let (curl_mm, tip_deg) = (d.of("curl_mm"), d.of("tip_deg"));
    if curl_mm > 0.0 && tip_deg > 0.0 {
        let message = text!("hook-clasp-tip-either-curled-or-bent");
        return Err(Fault::new("parameters.tip_deg", message));
    }
    if curl_mm > 0.0 {
        let curl = flat_loop(f, text!("part-tip"), (curl_mm, flat), 0.0);
        closes_on(f, curl_mm, text!("part-nose"), d.of("nose_mm"), "nose_mm")?;
        f.openings.retain(|opening| opening.what != text!("part-tip"));
        f.step(Operation::Loop, text!("hook-clasp-eye-tip"), &[eye, curl]);
        f.step(Operation::Bend, text!("part-hook"), &[bend]);
        f.shows("curl_mm", DimensionPlace::AcrossBeside(curl));
    } else {
        f.step(Operation::Loop, text!("part-eye"), &[eye]);
        f.step(Operation::Bend, text!("part-hook"), &[bend]);
    }
    if tip_deg > 0.0 {
        let (kick, _) = kicked_tip(f, tip_deg, d.of("tip_mm"), true);
        f.shows("tip_deg", DimensionPlace::Angle(kick));
    }
    f.hammer(&[bend], d.of("hammered_mm"), "hammered_mm")?;
    if curl_mm <= 0.0 {
        f.step(Operation::Round, text!("part-tip"), &[]);
    }
    f.step(Operation::Hammer, text!("part-bend"), &[]);
    f.stands = (shank, 90.0);
    f.bears.push(bend);
    f.pulled(eye, bend);
    f.asks.push(DesignCheck::Takes { opening: 1, ring_mm: d.of("ring_mm") });
    f.shows("eye_mm", DimensionPlace::Across(eye));
    f.shows("shank_mm", DimensionPlace::Along(shank));
    f.shows("bend_mm", DimensionPlace::Across(bend));
    f.shows("nose_mm", DimensionPlace::Along(nose));
    Ok(())
}
