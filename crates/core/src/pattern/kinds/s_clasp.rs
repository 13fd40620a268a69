//! S clasp: two hooks turned opposite ways, their ends curled.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{ENDS, closes_on, flat_ends, flat_loop};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// S clasp: two hooks turned opposite ways, their ends curled.
pub static PATTERN: Pattern = Pattern {
    kind: "s-clasp",
    name: Text::named("s-clasp-s-clasp"),
    plural: Text::named("s-clasp-s-clasps"),
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
        Parameter::mm(
            "bend_mm",
            Text::named("s-clasp-bends"),
            [6.0, 2.0, 30.0],
            Text::named("s-clasp-inside-both-large-bends"),
        )
        .grows(),
        Parameter::choice(
            "sides",
            Text::named("s-clasp-sides"),
            &[Text::named("s-clasp-one-side-closed-for-good"), Text::named("s-clasp-both-sides-open")],
            1.0,
            Text::named("s-clasp-whether-one-side-closed-on"),
        ),
        Parameter::mm(
            "body_mm",
            Text::named("s-clasp-body"),
            [8.0, 0.5, 60.0],
            Text::named("s-clasp-straight-between-bends"),
        )
        .grows(),
        Parameter::deg(
            "turn_deg",
            Text::named("s-clasp-turned"),
            [200.0, 150.0, 230.0],
            Text::named("s-clasp-how-far-open-side-turns"),
        ),
        Parameter::mm(
            "nose_mm",
            Text::named("s-clasp-noses"),
            [3.0, 0.5, 40.0],
            Text::named("s-clasp-straight-from-each-bend-its"),
        )
        .grows(),
        Parameter::mm(
            "curl_mm",
            Text::named("s-clasp-end-curls"),
            [1.6, 0.6, 12.0],
            Text::named("s-clasp-inside-small-curls-at-ends"),
        )
        .grows(),
        Parameter::mm(
            "ring_mm",
            Text::named("s-clasp-for-rings"),
            [1.3, 0.3, 6.0],
            Text::named("s-clasp-wire-ring-that-takes"),
        )
        .fits()
        .grows(),
        Parameter::mm(
            "hammered_mm",
            Text::named("s-clasp-hammered"),
            [0.0, 0.1, 5.0],
            Text::named("s-clasp-thickness-bends-hammered-0-leaves"),
        )
        .or_none(Text::named("s-clasp-bends-not-hammered")),
        ENDS,
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 1.291 },
    sized_by: &[],
    free: Free { height: "body_mm", width: "bend_mm", blank: "body_mm" },
    page: Page {
        purpose: Text::named("s-clasp-hooks-into-ring-at-each"),
        wires: Text::named("s-clasp-1-0-1-6-mm"),
        faults: &[
            Mishap::new(Text::named("s-clasp-opens"), Text::named("s-clasp-too-soft-too-thin-or")),
            Mishap::new(
                Text::named("s-clasp-ring-does-not-go-in"),
                Text::named("s-clasp-mouth-narrower-than-rings-wire"),
            ),
            Mishap::new(
                Text::named("s-clasp-one-hook-larger"),
                Text::named("s-clasp-quarter-marks-were-off-mark"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (curl_mm, bend_mm, turn) = (d.of("curl_mm"), d.of("bend_mm"), d.of("turn_deg"));
    let shut = !d.second("sides");
    let flat = flat_ends(f, d.of("ends_mm"))?;
    let first = flat_loop(f, text!("s-clasp-first-curl"), (curl_mm, flat), 180.0);
    closes_on(f, curl_mm, text!("part-nose"), d.of("nose_mm"), "nose_mm")?;
    f.lay(text!("s-clasp-first-nose"), Course::straight(d.of("nose_mm")));
    let upper = f.lay(text!("s-clasp-first-bend"), Course::left(bend_mm, turn));
    let body = f.lay(text!("part-body"), Course::straight(d.of("body_mm")));
    let closing =
        if shut { shut_deg((f.mean(bend_mm), d.of("nose_mm"), f.mean(curl_mm)), f.h()) } else { turn };
    let lower = f.lay(text!("s-clasp-second-bend"), Course::right(bend_mm, closing));
    let other = f.lay(text!("s-clasp-second-nose"), Course::straight(d.of("nose_mm")));
    let last = flat_loop(f, text!("s-clasp-second-curl"), (curl_mm, flat), 0.0);
    f.openings.retain(|opening| opening.mouth.is_some());
    let second = if shut {
        (text!("s-clasp-closed-side"), lower, None)
    } else {
        (text!("s-clasp-second-hook"), lower, Some((body, last)))
    };
    for (what, bend, mouth) in [(text!("s-clasp-first-hook"), upper, Some((first, body))), second] {
        f.openings.push(Opening { what, inside_mm: bend_mm, mouth });
        f.bears.push(bend);
    }
    if shut {
        f.pressed.extend([(body, other), (body, last)]);
    }
    f.hammer(&[upper, lower], d.of("hammered_mm"), "hammered_mm")?;
    f.pulled(upper, lower);
    f.step(Operation::Loop, text!("s-clasp-both-end-curls"), &[first, last]);
    f.step(Operation::Bend, text!("s-clasp-first-bend"), &[upper]);
    let second = f.step(Operation::Bend, text!("s-clasp-second-bend"), &[lower]);
    if shut {
        second.hint = text!("s-clasp-hang-in-its-piece-before");
    }
    f.step(Operation::Hammer, text!("part-bends"), &[]);
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
