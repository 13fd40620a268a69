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
use lorimant_text::{Text, text};

/// Cone end cap wound on a taper.
pub static PATTERN: Pattern = Pattern {
    kind: "cone-cap",
    name: Text::named("cone-cap-cone-end-cap"),
    plural: Text::named("cone-cap-cone-end-caps"),
    also: &["cone cap", "cone caps", "cones", "bead cone"],
    family: Family::Ends,
    worn: Worn::Between,
    paired: true,
    parameters: &[
        Parameter::mm(
            "small_mm",
            Text::named("cone-cap-narrow-mouth"),
            [2.0, 0.5, 30.0],
            Text::named("cone-cap-bore-at-narrow-end"),
        ),
        Parameter::mm(
            "large_mm",
            Text::named("cone-cap-wide-mouth"),
            [8.0, 1.0, 60.0],
            Text::named("cone-cap-bore-at-wide-end"),
        ),
        Parameter::turns(
            "turns_n",
            Text::named("cone-cap-turns"),
            [14.0, 2.0, 60.0],
            Text::named("cone-cap-turns-mouth-mouth-ten-twenty"),
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
        purpose: Text::named("cone-cap-gathers-several-strands-their-knot"),
        wires: Text::named("cone-cap-0-8-1-3-mm"),
        faults: &[
            Mishap::new(
                Text::named("cone-cap-turns-spread"),
                Text::named("cone-cap-unwind-them-little-wind-them"),
            ),
            Mishap::new(
                Text::named("cone-cap-mouths-ragged"),
                Text::named("cone-cap-they-were-not-levelled-coarse"),
            ),
            Mishap::new(
                Text::named("cone-cap-two-differ"),
                Text::named("cone-cap-they-were-wound-at-different"),
            ),
        ],
    },
    form,
};

/// How much of each turn's thickness goes outward, as cones are usually wound.
const SLANT: f64 = 0.21;

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (small, large, turns, h) = (d.of("small_mm"), d.of("large_mm"), d.of("turns_n"), f.h());
    Design::under(small, large, &PATTERN.parameters[0], text!("cone-cap-narrow-mouth-wider-than-wide"))?;
    // Along the slant each turn lies one wire from the last; what of it goes outward fixes the taper.
    let outward = (large - small) / (2.0 * turns * h);
    if outward >= 1.0 {
        let least = ((large - small) / (2.0 * h)).ceil() + 1.0;
        let message = text!(
            "cone-cap-turns-wire-cannot-widen-from",
            turns = shown(turns, 1),
            h = both(h),
            small = both(small),
            large = both(large),
            least
        );
        return Err(Fault::new("parameters.turns_n", message).limit(least));
    }
    let pitch_mm = h * (1.0 - outward * outward).sqrt();
    let cone = f.lay(
        text!("part-cone"),
        Course::Cone { small_mm: small, large_mm: large, turns, pitch_mm: -pitch_mm, roll_deg: 90.0 },
    );
    f.step(Operation::Coil, text!("part-cone"), &[cone]).hint = text!("cone-cap-mark-where-starts-on-taper");
    f.step(Operation::Press, text!("part-turns"), &[]).hint = text!("cone-cap-put-back-on-taper-for");
    f.step(Operation::Level, text!("cone-cap-both-mouths"), &[]);
    // The tail anchors the wire on the rod, and comes off when it is wound.
    f.tails_mm.0 = WRAP_TAIL_MM;
    f.stands = (cone, 180.0);
    f.openings.push(Opening { what: text!("cone-cap-narrow-mouth"), inside_mm: small, mouth: None });
    f.shows("turns_n", DimensionPlace::Angle(cone));
    Ok(())
}
