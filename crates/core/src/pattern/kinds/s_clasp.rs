//! S clasp: two hooks turned opposite ways, their ends curled.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{ENDS, closes_on, flat_ends, flat_loop};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// S clasp: two hooks turned opposite ways, their ends curled.
pub static PATTERN: Pattern = Pattern {
    kind: "s-clasp",
    name: "S clasp",
    plural: "S clasps",
    also: &[
        "s-clasp",
        "s hook",
        "s hooks",
        "s-shaped clasp",
        "s shaped clasp",
        "s hook clasp",
        "s clasp hook",
    ],
    family: Family::Clasps,
    worn: Worn::Skin,
    paired: false,
    parameters: &[
        Parameter::mm("bend_mm", "bends", [6.0, 2.0, 30.0], "Inside of both large bends.").grows(),
        Parameter::choice(
            "sides",
            "sides",
            &["one side closed for good", "both sides open"],
            1.0,
            "Whether one side is closed on the piece it hangs from.",
        ),
        Parameter::mm("body_mm", "body", [8.0, 0.5, 60.0], "Straight between the bends.").grows(),
        Parameter::deg("turn_deg", "turned", [200.0, 150.0, 230.0], "How far an open side turns."),
        Parameter::mm("nose_mm", "noses", [3.0, 0.5, 40.0], "Straight from each bend to its end curl.")
            .grows(),
        Parameter::mm("curl_mm", "end curls", [1.6, 0.6, 12.0], "Inside of the small curls at the ends.")
            .grows(),
        Parameter::mm("ring_mm", "for rings of", [1.3, 0.3, 6.0], "Wire of the ring that it takes.").grows(),
        Parameter::mm(
            "hammered_mm",
            "hammered to",
            [0.0, 0.1, 5.0],
            "Thickness the bends are hammered to; 0 leaves it round.",
        )
        .or_none("bends not hammered"),
        ENDS,
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 1.291 },
    sized_by: &[],
    free: Free { height: "body_mm", width: "bend_mm", blank: "body_mm" },
    page: Page {
        purpose: "Hooks into a ring at each end of a necklace; one side is usually closed for good.",
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
                "One hook is larger",
                "The quarter marks were off. Mark at a quarter, half and three quarters of what is left \
                 between the curls.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (curl_mm, bend_mm, turn) = (d.of("curl_mm"), d.of("bend_mm"), d.of("turn_deg"));
    let shut = !d.second("sides");
    let flat = flat_ends(f, d.of("ends_mm"))?;
    let first = flat_loop(f, "first curl", (curl_mm, flat), 180.0);
    closes_on(f, curl_mm, "nose", d.of("nose_mm"), "nose_mm")?;
    f.lay("first nose", Course::straight(d.of("nose_mm")));
    let upper = f.lay("first bend", Course::left(bend_mm, turn));
    let body = f.lay("body", Course::straight(d.of("body_mm")));
    let closing =
        if shut { shut_deg((f.mean(bend_mm), d.of("nose_mm"), f.mean(curl_mm)), f.h()) } else { turn };
    let lower = f.lay("second bend", Course::right(bend_mm, closing));
    let other = f.lay("second nose", Course::straight(d.of("nose_mm")));
    let last = flat_loop(f, "second curl", (curl_mm, flat), 0.0);
    f.openings.retain(|opening| opening.mouth.is_some());
    let second = if shut { ("closed side", lower, None) } else { ("second hook", lower, Some((body, last))) };
    for (what, bend, mouth) in [("first hook", upper, Some((first, body))), second] {
        f.openings.push(Opening { what, inside_mm: bend_mm, mouth });
        f.bears.push(bend);
    }
    if shut {
        f.pressed.extend([(body, other), (body, last)]);
    }
    f.hammer(&[upper, lower], d.of("hammered_mm"), "hammered_mm")?;
    f.pulled(upper, lower);
    f.step(Operation::Loop, "both end curls", &[first, last]);
    f.step(Operation::Bend, "first bend", &[upper]);
    let second = f.step(Operation::Bend, "second bend", &[lower]);
    if shut {
        second.hint = "Hang it in its piece before you close it: the curl ends up against the body.";
    }
    f.step(Operation::Hammer, "bends", &[]);
    f.stands = (body, -60.0);
    f.asks.push(DesignCheck::Takes { opening: 0, ring_mm: d.of("ring_mm") });
    f.shows("bend_mm", DimensionPlace::Across(upper));
    f.shows("body_mm", DimensionPlace::Along(body));
    f.shows("nose_mm", DimensionPlace::Along(other));
    f.shows("turn_deg", DimensionPlace::Angle(upper));
    f.shows("curl_mm", DimensionPlace::AcrossBeside(last));
    Ok(())
}

/// How far a bend of mean radius R turns until the curl of mean radius r, at the end of the straight nose n after it,
/// lies on the body before it, degrees: `(R + r)·cos θ − n·sin θ = R − r − h`.
fn shut_deg((bend_mm, nose_mm, curl_mm): (f64, f64, f64), thickness_mm: f64) -> f64 {
    let reach = (bend_mm + curl_mm).hypot(nose_mm);
    let beside = ((bend_mm - curl_mm - thickness_mm) / reach).clamp(-1.0, 1.0).acos();
    360.0 - (beside + nose_mm.atan2(bend_mm + curl_mm)).to_degrees()
}
