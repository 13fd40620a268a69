//! Head pin with its end flattened to a paddle.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Head pin with its end flattened to a paddle.
pub static PATTERN: Pattern = Pattern {
    kind: "paddle-head-pin",
    name: "paddle head pin",
    plural: "paddle head pins",
    also: &["paddle pin", "paddle pins", "paddle headpin", "flattened head pin"],
    family: Family::Pins,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm("paddle_mm", "paddle", [4.0, 0.5, 30.0], "Length of the finished paddle.").grows(),
        Parameter::mm("thickness_mm", "thickness", [0.45, 0.1, 5.0], "Thickness it is hammered to.").grows(),
        Parameter::mm("stem_mm", "stem", [35.0, 3.0, 200.0], "Straight stem."),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::Soft, size_mm: 0.8118 },
    sized_by: &["stem_mm"],
    free: Free { height: "stem_mm", width: "stem_mm", blank: "stem_mm" },
    page: Page {
        purpose: "A flat head that stops a bead and shows: plain, textured or filed to a shape.",
        wires: "0.5 to 0.8 mm (24 to 20 AWG), whatever goes through the beads. Soft: the paddle is hammered \
                far. The stem is hardened afterwards by pulling it through smooth jaws.",
        faults: &[
            Mishap::new(
                "It cracks at the edge",
                "It was hammered too far. Use softer wire, or leave it thicker.",
            ),
            Mishap::new("It leans", "The blows fell on one side. Turn it over after each few blows."),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let paddle = f.lay("paddle", Course::straight(d.of("paddle_mm")));
    let stem = f.lay("stem", Course::straight(d.of("stem_mm")));
    f.hammer(&[paddle], d.of("thickness_mm"), "thickness_mm")?;
    f.step(Operation::Flatten, "end", &[paddle]);
    f.step(Operation::Round, "edges", &[]);
    f.stands = (stem, 90.0);
    f.asks.push(DesignCheck::Stem { segment: stem });
    f.shows("paddle_mm", DimensionPlace::Along(paddle));
    f.shows("stem_mm", DimensionPlace::Along(stem));
    Ok(())
}
