//! S link with counter-curled ends.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{ENDS, flat_ends};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::shape::closing::on_neck_deg;
use crate::wire::metal::{Metal, Temper};

/// S link with counter-curled ends.
pub static PATTERN: Pattern = Pattern {
    kind: "s-link",
    name: "S link",
    plural: "S links",
    also: &["s-link", "s-links", "s scroll"],
    family: Family::Links,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm("bend_mm", "bends", [5.1, 1.5, 40.0], "Inside of the two large bends.").grows(),
        Parameter::deg("turn_deg", "turned", [215.0, 120.0, 250.0], "How far each large bend turns."),
        Parameter::mm("curl_mm", "end curls", [3.6, 0.6, 12.0], "Inside of the small curls at the ends.")
            .grows(),
        Parameter::mm(
            "hammered_mm",
            "hammered to",
            [0.0, 0.1, 5.0],
            "Thickness the bends are hammered to; 0 leaves it round.",
        )
        .or_none("bends not hammered"),
        Parameter::choice(
            "face",
            "face",
            &["face left plain", "face textured, edges bevelled"],
            1.0,
            "How its faces are finished, once they are flat.",
        ),
        ENDS,
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 1.024 },
    sized_by: &[],
    free: Free { height: "bend_mm", width: "curl_mm", blank: "bend_mm" },
    page: Page {
        purpose: "A decorative link with its ends curled back the other way, so that nothing catches.",
        wires: "0.8 to 1.3 mm. Half-hard, or soft and hammered.",
        faults: &[
            Mishap::new(
                "The S is lopsided",
                "The middle mark was off. Both bends start from the middle of what the curls leave.",
            ),
            Mishap::new("The curls point the wrong way", "They turn against the large bend beside them."),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (bend_mm, curl_mm, h) = (d.of("bend_mm"), d.of("curl_mm"), f.h());
    let flat = flat_ends(f, d.of("ends_mm"))?;
    let curl_deg = on_neck_deg(curl_mm, (flat.unwrap_or(h), h), f.mean(bend_mm));
    let first = f.lay("first curl", Course::right(curl_mm, curl_deg));
    let upper = f.lay("first bend", Course::left(bend_mm, d.of("turn_deg")));
    let lower = f.lay("second bend", Course::right(bend_mm, d.of("turn_deg")));
    let last = f.lay("second curl", Course::left(curl_mm, curl_deg));
    f.flatten_first(first, flat);
    f.flatten_first(last, flat);
    f.hammer(&[upper, lower], d.of("hammered_mm"), "hammered_mm")?;
    f.closures.push(Closure { what: "first curl", far_end: false, on: Some(upper) });
    f.closures.push(Closure { what: "second curl", far_end: true, on: Some(lower) });
    f.step(Operation::Loop, "both curls", &[first, last]).hint =
        "Two-jaw loop pliers make matching curls and bends.";
    f.step(Operation::Bend, "first bend", &[upper]);
    f.step(Operation::Bend, "second bend", &[lower]);
    f.step(Operation::Hammer, "bends", &[]);
    if d.second("face") {
        f.step(Operation::Close, "curls", &[]);
        f.step(Operation::Texture, "first face", &[]);
        f.step(Operation::Bevel, "edges of the first face", &[]);
        f.step(Operation::Texture, "other face", &[]);
        f.step(Operation::Bevel, "edges of the other face", &[]);
        f.step(Operation::Close, "curls", &[]);
        f.step(Operation::True, "link", &[]);
    }
    f.stands = (lower, -45.0);
    for (what, bend) in [("first bend", upper), ("second bend", lower)] {
        f.openings.push(Opening { what, inside_mm: bend_mm, mouth: None });
        f.bears.push(bend);
    }
    f.pressed.extend([(first, lower), (upper, last)]);
    f.pulled(upper, lower);
    f.shows("bend_mm", DimensionPlace::Across(upper));
    f.shows("curl_mm", DimensionPlace::AcrossBeside(last));
    f.shows("turn_deg", DimensionPlace::Angle(lower));
    Ok(())
}
