//! Hook clasp with a plain eye; its tip plain or curved outward.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{ENDS, closes_on, flat_ends, flat_loop, kicked_tip};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Hook clasp with a plain eye; its tip plain or curved outward.
pub static PATTERN: Pattern = Pattern {
    kind: "hook-clasp",
    name: "hook clasp",
    plural: "hook clasps",
    also: &["clasp hook", "clasp hooks", "hook and eye"],
    family: Family::Clasps,
    worn: Worn::Skin,
    paired: false,
    parameters: &[
        Parameter::mm("eye_mm", "eye", [4.0, 1.0, 20.0], "Inside of the eye at its end.").grows(),
        Parameter::mm("shank_mm", "shank", [14.0, 2.0, 80.0], "Straight from eye to bend.").grows(),
        Parameter::mm("bend_mm", "bend", [5.0, 2.0, 30.0], "Inside of the hook's bend.").grows(),
        Parameter::deg(
            "turn_deg",
            "turned",
            [190.0, 150.0, 230.0],
            "How far the bend turns; past 180 the nose closes in, and the mouth is narrower than the bend.",
        ),
        Parameter::mm("nose_mm", "nose", [7.0, 0.5, 60.0], "Straight from bend to tip.").grows(),
        Parameter::mm(
            "curl_mm",
            "tip curled to",
            [0.0, 0.6, 12.0],
            "Inside of the curl the tip is rolled into, instead of bending it out; 0 leaves it uncurled.",
        )
        .or_none("tip not curled"),
        Parameter::deg(
            "tip_deg",
            "tip out",
            [30.0, 5.0, 80.0],
            "How far the tip is bent out; 0 leaves it plain.",
        )
        .from(|request| if request.value("curl_mm") > 0.0 { 0.0 } else { 30.0 })
        .or_none("tip left plain"),
        Parameter::mm("tip_mm", "tip", [3.0, 1.0, 20.0], "Length of the bent tip.").grows(),
        Parameter::mm("ring_mm", "for rings of", [1.3, 0.3, 6.0], "Wire of the ring that it takes.").grows(),
        Parameter::mm(
            "hammered_mm",
            "hammered to",
            [0.0, 0.1, 5.0],
            "Thickness the bend is hammered to; 0 leaves it round.",
        )
        .or_none("bend not hammered"),
        ENDS,
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 1.291 },
    sized_by: &[],
    free: Free { height: "shank_mm", width: "bend_mm", blank: "shank_mm" },
    page: Page {
        purpose: "The plainest clasp: a ring drops over the hook and the pull keeps it there. Its nose \
                  closes in a little; the tip is bent out, or rolled into a small curl.",
        wires: "1.0 to 1.6 mm (18 to 14 AWG), thicker for larger clasps. Soft wire is easy to form and is \
                hardened afterwards; half-hard needs stronger hands and holds as it is.",
        faults: &[
            Mishap::new(
                "It opens",
                "Too soft, too thin or too wide. Harden the bend on the block, or use thicker wire.",
            ),
            Mishap::new(
                "The ring does not go in",
                "The mouth is narrower than the ring's wire. Open the bend or use a thinner ring.",
            ),
            Mishap::new(
                "It slips off when slack",
                "The nose is short, or the mouth much wider than the ring's wire.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let flat = flat_ends(f, d.of("ends_mm"))?;
    let eye = flat_loop(f, "eye", (d.of("eye_mm"), flat), 0.0);
    closes_on(f, d.of("eye_mm"), "shank", d.of("shank_mm"), "shank_mm")?;
    let shank = f.lay("shank", Course::straight(d.of("shank_mm")));
    let bend = f.lay("bend", Course::right(d.of("bend_mm"), d.of("turn_deg")));
    let nose = f.lay("nose", Course::straight(d.of("nose_mm")));
    f.openings.push(Opening { what: "hook", inside_mm: d.of("bend_mm"), mouth: Some((nose, shank)) });
    let (curl_mm, tip_deg) = (d.of("curl_mm"), d.of("tip_deg"));
    if curl_mm > 0.0 && tip_deg > 0.0 {
        let said = "A tip is either curled or bent out. Set one of the two to 0.";
        return Err(Fault::new("parameters.tip_deg", said));
    }
    if curl_mm > 0.0 {
        let curl = flat_loop(f, "tip", (curl_mm, flat), 0.0);
        closes_on(f, curl_mm, "nose", d.of("nose_mm"), "nose_mm")?;
        f.openings.retain(|opening| opening.what != "tip");
        f.step(Operation::Loop, "eye and tip", &[eye, curl]);
        f.step(Operation::Bend, "hook", &[bend]);
        f.shows("curl_mm", DimensionPlace::AcrossBeside(curl));
    } else {
        f.step(Operation::Loop, "eye", &[eye]);
        f.step(Operation::Bend, "hook", &[bend]);
    }
    if tip_deg > 0.0 {
        let (kick, _) = kicked_tip(f, tip_deg, d.of("tip_mm"), true);
        f.shows("tip_deg", DimensionPlace::Angle(kick));
    }
    f.hammer(&[bend], d.of("hammered_mm"), "hammered_mm")?;
    if curl_mm <= 0.0 {
        f.step(Operation::Round, "tip", &[]);
    }
    f.step(Operation::Hammer, "bend", &[]);
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
