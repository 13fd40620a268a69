//! Head pin with its end flattened to a paddle.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Head pin with its end flattened to a paddle.
pub static PATTERN: Pattern = Pattern {
    kind: "paddle-head-pin",
    name: Text::named("paddle-head-pin-paddle-head-pin"),
    plural: Text::named("paddle-head-pin-paddle-head-pins"),
    also: &["paddle pin", "paddle pins", "paddle headpin", "flattened head pin"],
    family: Family::Pins,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm(
            "paddle_mm",
            Text::named("paddle-head-pin-paddle"),
            [4.0, 0.5, 30.0],
            Text::named("paddle-head-pin-length-finished-paddle"),
        )
        .grows(),
        Parameter::mm(
            "thickness_mm",
            Text::named("paddle-head-pin-thickness"),
            [0.45, 0.1, 5.0],
            Text::named("paddle-head-pin-thickness-hammered"),
        )
        .grows(),
        Parameter::mm(
            "stem_mm",
            Text::named("paddle-head-pin-stem"),
            [35.0, 3.0, 200.0],
            Text::named("paddle-head-pin-straight-stem"),
        ),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::Soft, size_mm: 0.8118 },
    sized_by: &["stem_mm"],
    free: Free { height: "stem_mm", width: "stem_mm", blank: "stem_mm" },
    page: Page {
        purpose: Text::named("paddle-head-pin-flat-head-that-stops-bead"),
        wires: Text::named("paddle-head-pin-0-5-0-8-mm"),
        faults: &[
            Mishap::new(
                Text::named("paddle-head-pin-cracks-at-edge"),
                Text::named("paddle-head-pin-was-hammered-too-far-use"),
            ),
            Mishap::new(
                Text::named("paddle-head-pin-leans"),
                Text::named("paddle-head-pin-blows-fell-on-one-side"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let paddle = f.lay(text!("part-paddle"), Course::straight(d.of("paddle_mm")));
    let stem = f.lay(text!("part-stem"), Course::straight(d.of("stem_mm")));
    f.hammer(&[paddle], d.of("thickness_mm"), "thickness_mm")?;
    f.step(Operation::Flatten, text!("part-end"), &[paddle]);
    f.step(Operation::Round, text!("part-edges"), &[]);
    f.stands = (stem, 90.0);
    f.asks.push(DesignCheck::Stem { segment: stem });
    f.shows("paddle_mm", DimensionPlace::Along(paddle));
    f.shows("stem_mm", DimensionPlace::Along(stem));
    Ok(())
}
