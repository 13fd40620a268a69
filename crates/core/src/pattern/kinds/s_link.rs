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
use lorimant_text::{Text, text};

/// S link with counter-curled ends.
pub static PATTERN: Pattern = Pattern {
    kind: "s-link",
    name: Text::named("s-link-s-link"),
    plural: Text::named("s-link-s-links"),
    also: &["s-link", "s-links", "s scroll"],
    family: Family::Links,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm(
            "bend_mm",
            Text::named("s-link-bends"),
            [5.1, 1.5, 40.0],
            Text::named("s-link-inside-two-large-bends"),
        )
        .grows(),
        Parameter::deg(
            "turn_deg",
            Text::named("s-link-turned"),
            [215.0, 120.0, 250.0],
            Text::named("s-link-how-far-each-large-bend"),
        ),
        Parameter::mm(
            "curl_mm",
            Text::named("s-link-end-curls"),
            [3.6, 0.6, 12.0],
            Text::named("s-link-inside-small-curls-at-ends"),
        )
        .grows(),
        Parameter::mm(
            "hammered_mm",
            Text::named("s-link-hammered"),
            [0.0, 0.1, 5.0],
            Text::named("s-link-thickness-bends-hammered-0-leaves"),
        )
        .or_none(Text::named("s-link-bends-not-hammered")),
        Parameter::choice(
            "face",
            Text::named("s-link-face"),
            &[Text::named("s-link-face-left-plain"), Text::named("s-link-face-textured-edges-bevelled")],
            1.0,
            Text::named("s-link-how-its-faces-finished-once"),
        ),
        ENDS,
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 1.024 },
    sized_by: &[],
    free: Free { height: "bend_mm", width: "curl_mm", blank: "bend_mm" },
    page: Page {
        purpose: Text::named("s-link-decorative-link-with-its-ends"),
        wires: Text::named("s-link-0-8-1-3-mm"),
        faults: &[
            Mishap::new(Text::named("s-link-s-lopsided"), Text::named("s-link-middle-mark-was-off-both")),
            Mishap::new(
                Text::named("s-link-curls-point-wrong-way"),
                Text::named("s-link-they-turn-against-large-bend"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (bend_mm, curl_mm, h) = (d.of("bend_mm"), d.of("curl_mm"), f.h());
    let flat = flat_ends(f, d.of("ends_mm"))?;
    let curl_deg = on_neck_deg(curl_mm, (flat.unwrap_or(h), h), f.mean(bend_mm));
    let first = f.lay(text!("s-link-first-curl"), Course::right(curl_mm, curl_deg));
    let upper = f.lay(text!("s-link-first-bend"), Course::left(bend_mm, d.of("turn_deg")));
    let lower = f.lay(text!("s-link-second-bend"), Course::right(bend_mm, d.of("turn_deg")));
    let last = f.lay(text!("s-link-second-curl"), Course::left(curl_mm, curl_deg));
    f.flatten_first(first, flat);
    f.flatten_first(last, flat);
    f.hammer(&[upper, lower], d.of("hammered_mm"), "hammered_mm")?;
    f.closures.push(Closure { what: text!("s-link-first-curl"), far_end: false, on: Some(upper) });
    f.closures.push(Closure { what: text!("s-link-second-curl"), far_end: true, on: Some(lower) });
    f.step(Operation::Loop, text!("s-link-both-curls"), &[first, last]).hint =
        text!("s-link-two-jaw-loop-pliers-make");
    f.step(Operation::Bend, text!("s-link-first-bend"), &[upper]);
    f.step(Operation::Bend, text!("s-link-second-bend"), &[lower]);
    f.step(Operation::Hammer, text!("part-bends"), &[]);
    if d.second("face") {
        f.step(Operation::Close, text!("part-curls"), &[]);
        f.step(Operation::Texture, text!("s-link-first-face"), &[]);
        f.step(Operation::Bevel, text!("s-link-edges-first-face"), &[]);
        f.step(Operation::Texture, text!("s-link-other-face"), &[]);
        f.step(Operation::Bevel, text!("s-link-edges-other-face"), &[]);
        f.step(Operation::Close, text!("part-curls"), &[]);
        f.step(Operation::True, text!("part-link"), &[]);
    }
    f.stands = (lower, -45.0);
    for (what, bend) in [(text!("s-link-first-bend"), upper), (text!("s-link-second-bend"), lower)] {
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
