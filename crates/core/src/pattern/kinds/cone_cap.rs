//! Cone end cap wound on a taper.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::WRAP_TAIL_MM;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use crate::words::length::{both, shown};

/// Cone end cap wound on a taper.
pub static PATTERN: Pattern = Pattern {
    kind: "cone-cap",
    name: "cone end cap",
    plural: "cone end caps",
    also: &["cone cap", "cone caps", "cones", "bead cone"],
    family: Family::Ends,
    worn: Worn::Between,
    paired: true,
    parameters: &[
        Parameter::mm("small_mm", "narrow mouth", [2.0, 0.5, 30.0], "Bore at the narrow end."),
        Parameter::mm("large_mm", "wide mouth", [8.0, 1.0, 60.0], "Bore at the wide end."),
        Parameter::turns(
            "turns_n",
            "turns",
            [14.0, 2.0, 60.0],
            "Turns, mouth to mouth; ten to twenty are usual, for a slant of about one in four if left out.",
        )
        .from(|request| {
            let wide = request.value("large_mm") - request.value("small_mm");
            (wide / (2.0 * SLANT * request.wire.profile().thickness_mm())).round().max(2.0)
        }),
    ],
    wire: UsualWire { metal: Metal::Copper, temper: Temper::Soft, size_mm: 1.024 },
    sized_by: &["small_mm", "large_mm"],
    free: Free { height: "turns_n", width: "large_mm", blank: "turns_n" },
    page: Page {
        purpose: "Gathers several strands: their knot hides in the cone, and one wire leaves the narrow \
                  mouth. Two make a strand.",
        wires: "0.8 to 1.3 mm. Soft: the turns must lie close on the taper.",
        faults: &[
            Mishap::new("Turns spread", "Unwind them a little and wind them again, each against the last."),
            Mishap::new(
                "The mouths are ragged",
                "They were not levelled: coarse, then fine abrasive, on a flat plate.",
            ),
            Mishap::new(
                "The two differ",
                "They were wound at different places on the taper. Mark both mouths on it.",
            ),
        ],
    },
    form,
};

/// How much of each turn's thickness goes outward, as cones are usually wound.
const SLANT: f64 = 0.21;

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (small, large, turns, h) = (d.of("small_mm"), d.of("large_mm"), d.of("turns_n"), f.h());
    Design::under(
        small,
        large,
        &PATTERN.parameters[0],
        "the narrow mouth is wider than the wide one. Swap them.",
    )?;
    // Along the slant each turn lies one wire from the last; what of it goes outward fixes the taper.
    let outward = (large - small) / (2.0 * turns * h);
    if outward >= 1.0 {
        let least = ((large - small) / (2.0 * h)).ceil() + 1.0;
        let said = format!(
            "{} turns of wire of {} cannot widen from {} to {}. Take at least {least} turns.",
            shown(turns, 1),
            both(h),
            both(small),
            both(large)
        );
        return Err(Fault::new("parameters.turns_n", said).limit(least));
    }
    let pitch_mm = h * (1.0 - outward * outward).sqrt();
    let cone = f.lay(
        "cone",
        Course::Cone { small_mm: small, large_mm: large, turns, pitch_mm: -pitch_mm, roll_deg: 90.0 },
    );
    f.step(Operation::Coil, "cone", &[cone]).hint = "Mark where it starts on the taper. If turns spread, \
                                                     unwind a little and wind them again. Tape gives a \
                                                     slippery taper grip.";
    f.step(Operation::Press, "turns", &[]).hint = "Put it back on the taper for that.";
    f.step(Operation::Level, "both mouths", &[]);
    // The tail anchors the wire on the rod, and comes off when it is wound.
    f.tails_mm.0 = WRAP_TAIL_MM;
    f.stands = (cone, 180.0);
    f.openings.push(Opening { what: "narrow mouth", inside_mm: small, mouth: None });
    f.shows("turns_n", DimensionPlace::Angle(cone));
    Ok(())
}
