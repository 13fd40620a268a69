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

/// Pointed ear wire: two curved sides meeting in a point, a marquise.
pub static PATTERN: Pattern = Pattern {
    kind: "pointed-ear-wire",
    name: "pointed ear wire",
    plural: "pointed ear wires",
    also: &["marquise", "marquise hooks", "marquise ear wires", "pointed hook", "pointed hooks"],
    family: Family::EarWires,
    worn: Worn::Ear,
    paired: true,
    parameters: &[
        Parameter::mm("loop_mm", "loop", [2.2, 0.8, 12.0], "Inside of the loop the drop hangs in.").grows(),
        Parameter::mm("side_mm", "side", [24.0, 6.0, 90.0], "Length of each curved side, along the wire."),
        Parameter::deg("bulge_deg", "bulge", [70.0, 10.0, 120.0], "How far each side turns from end to end."),
        Parameter::mm("point_mm", "point", [1.6, 0.4, 8.0], "Inside of the bend at the point.").grows(),
        Parameter::mm(
            "hammered_mm",
            "hammered to",
            [0.0, 0.1, 5.0],
            "Thickness the sides are hammered to; 0 leaves it round.",
        )
        .or_none("sides not hammered"),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.8118 },
    sized_by: &[],
    free: Free { height: "side_mm", width: "bulge_deg", blank: "side_mm" },
    page: Page {
        purpose: "A pointed oval worn like a small hoop: the point sits above the lobe, and the free end \
                  meets the loop below.",
        wires: "0.8 mm (20 AWG) is usual, 0.64 for small ears, 0.72 in between and hard to buy; 1.0 is too thick for most piercings. Half-hard and done, or soft and hardened on the block afterwards: makers differ.",
        faults: &[
            Mishap::new(
                "One side bows more",
                "The point is not in the middle of what is left beside the loop. Halve that, not the blank.",
            ),
            Mishap::new(
                "The point cracks",
                "It was bent over a sharp edge. Use a rounded tip, and softer wire.",
            ),
            Mishap::new(
                "The pair does not match",
                "The crown of one slipped along the jaw or rod. Mark both blanks from the same template.",
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
        let said = format!(
            "A side of {} cannot turn {} degrees. Enter more than {}.",
            both(d.of("side_mm")),
            shown(bulge, 0),
            both(least)
        );
        return Err(Fault::new("parameters.side_mm", said).limit(least));
    }
    let (h, side) = (f.h(), f.mean(inside));
    let rolled = f.lay("loop", Course::left(d.of("loop_mm"), on_neck_deg(d.of("loop_mm"), (h, h), side)));
    f.openings.push(Opening { what: "loop", inside_mm: d.of("loop_mm"), mouth: None });
    f.closures.push(Closure { what: "loop", far_end: false, on: Some(rolled + 1) });
    let front = f.lay("front", Course::right(inside, bulge));
    let point = f.lay("point", Course::right(d.of("point_mm"), 180.0 - bulge));
    let back = f.lay("back", Course::right(inside, bulge));
    f.hammer(&[front, back], d.of("hammered_mm"), "hammered_mm")?;
    f.step(Operation::Loop, "loop", &[rolled]);
    f.step(Operation::Bend, "sides", &[front, back]).hint =
        "Curve both sides alike over a large round before you make the point.";
    f.step(Operation::Bend, "point", &[point]);
    f.step(Operation::Round, "tip", &[]);
    f.step(Operation::Hammer, "sides", &[]);
    f.stands = (front, 90.0 + bulge / 2.0);
    f.bears.push(point);
    f.pulled(rolled, point);
    f.shows("loop_mm", DimensionPlace::Across(rolled));
    f.shows("side_mm", DimensionPlace::From(front, front));
    f.shows("point_mm", DimensionPlace::Angle(point));
    f.shows("bulge_deg", DimensionPlace::Angle(back));
    Ok(())
}
