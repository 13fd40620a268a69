//! Pointed ear wire: two curved sides meeting in a point, a marquise.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::shape::closing::on_neck_deg;
use crate::wire::metal::{Metal, Temper};
use crate::words::length::{both, shown};
use lorimant_text::{Text, text};

/// Pointed ear wire: two curved sides meeting in a point, a marquise.
pub static PATTERN: Pattern = Pattern {
    kind: "pointed-ear-wire",
    name: Text::named("pointed-ear-wire-pointed-ear-wire"),
    plural: Text::named("pointed-ear-wire-pointed-ear-wires"),
    also: &["marquise", "marquise hooks", "marquise ear wires", "pointed hook", "pointed hooks"],
    family: Family::EarWires,
    worn: Worn::Ear,
    paired: true,
    parameters: &[
        Parameter::mm(
            "loop_mm",
            Text::named("pointed-ear-wire-loop"),
            [2.2, 0.8, 12.0],
            Text::named("pointed-ear-wire-inside-loop-drop-hangs-in"),
        )
        .grows(),
        Parameter::mm(
            "side_mm",
            Text::named("pointed-ear-wire-side"),
            [18.0, 6.0, 90.0],
            Text::named("pointed-ear-wire-length-each-curved-side-along"),
        ),
        Parameter::deg(
            "bulge_deg",
            Text::named("pointed-ear-wire-bulge"),
            [80.0, 10.0, 120.0],
            Text::named("pointed-ear-wire-how-far-each-side-turns"),
        ),
        Parameter::mm(
            "point_mm",
            Text::named("pointed-ear-wire-point"),
            [1.6, 0.4, 8.0],
            Text::named("pointed-ear-wire-inside-bend-at-point"),
        )
        .grows(),
        Parameter::mm(
            "hammered_mm",
            Text::named("pointed-ear-wire-hammered"),
            [0.0, 0.1, 5.0],
            Text::named("pointed-ear-wire-thickness-sides-hammered-0-leaves"),
        )
        .or_none(Text::named("pointed-ear-wire-sides-not-hammered")),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.8118 },
    sized_by: &[],
    free: Free { height: "side_mm", width: "bulge_deg", blank: "side_mm" },
    page: Page {
        purpose: Text::named("pointed-ear-wire-pointed-oval-worn-like-small"),
        wires: Text::named("pointed-ear-wire-0-8-mm-20-awg"),
        faults: &[
            Mishap::new(
                Text::named("pointed-ear-wire-one-side-bows-more"),
                Text::named("pointed-ear-wire-point-not-in-middle-what"),
            ),
            Mishap::new(
                Text::named("pointed-ear-wire-point-cracks"),
                Text::named("pointed-ear-wire-was-bent-over-sharp-edge"),
            ),
            Mishap::new(
                Text::named("pointed-ear-wire-pair-does-not-match"),
                Text::named("pointed-ear-wire-crown-one-slipped-along-jaw"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let bulge = d.of("bulge_deg");
    let inside = 2.0 * (d.of("side_mm") / bulge.to_radians() - f.profile.centroid_mm());
    if inside <= 0.0 {
        let least = f.profile.centroid_mm() * bulge.to_radians();
        let message = text!(
            "pointed-ear-wire-side-cannot-turn-degrees-enter",
            d = both(d.of("side_mm")),
            bulge = shown(bulge, 0),
            least = both(least)
        );
        return Err(Fault::new("parameters.side_mm", message).limit(least));
    }
    let (h, side) = (f.h(), f.mean(inside));
    let rolled =
        f.lay(text!("part-loop"), Course::left(d.of("loop_mm"), on_neck_deg(d.of("loop_mm"), (h, h), side)));
    f.openings.push(Opening {
        what: text!("pointed-ear-wire-loop"),
        inside_mm: d.of("loop_mm"),
        mouth: None,
    });
    f.closures.push(Closure { what: text!("pointed-ear-wire-loop"), far_end: false, on: Some(rolled + 1) });
    let front = f.lay(text!("part-front"), Course::right(inside, bulge));
    let point = f.lay(text!("part-point"), Course::right(d.of("point_mm"), 180.0 - bulge));
    let back = f.lay(text!("part-back"), Course::right(inside, bulge));
    f.hammer(&[front, back], d.of("hammered_mm"), "hammered_mm")?;
    f.step(Operation::Loop, text!("part-loop"), &[rolled]);
    f.step(Operation::Bend, text!("part-sides"), &[front, back]).hint =
        text!("pointed-ear-wire-curve-both-sides-alike-over");
    f.step(Operation::Bend, text!("part-point"), &[point]);
    f.step(Operation::Round, text!("part-tip"), &[]);
    f.step(Operation::Hammer, text!("part-sides"), &[]);
    f.stands = (front, 90.0 + bulge / 2.0);
    f.bears.push(point);
    f.pulled(rolled, point);
    f.shows("loop_mm", DimensionPlace::Across(rolled));
    f.shows("side_mm", DimensionPlace::From(front, front));
    f.shows("point_mm", DimensionPlace::Angle(point));
    f.shows("bulge_deg", DimensionPlace::Angle(back));
    Ok(())
}
