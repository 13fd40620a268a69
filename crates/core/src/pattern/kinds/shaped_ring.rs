//! Ring with flat sides: square, hexagon or octagon.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::pull::PullPoint;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Ring with flat sides: square, hexagon or octagon.
pub static PATTERN: Pattern = Pattern {
    kind: "shaped-ring",
    name: Text::named("shaped-ring-shaped-ring"),
    plural: Text::named("shaped-ring-shaped-rings"),
    also: &["square ring", "hexagon ring", "octagon ring"],
    family: Family::Rings,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::choice(
            "sides",
            Text::named("shaped-ring-sides"),
            &[
                Text::named("shaped-ring-four-sides"),
                Text::named("shaped-ring-six-sides"),
                Text::named("shaped-ring-eight-sides"),
            ],
            2.0,
            Text::named("shaped-ring-how-many-flat-sides"),
        ),
        Parameter::mm(
            "across_mm",
            Text::named("shaped-ring-across-flats"),
            [8.0, 2.0, 100.0],
            Text::named("shaped-ring-inside-across-two-flats"),
        )
        .grows(),
        Parameter::mm(
            "corner_mm",
            Text::named("shaped-ring-corner"),
            [0.8, 0.2, 20.0],
            Text::named("shaped-ring-inside-radius-corners"),
        )
        .grows(),
    ],
    wire: UsualWire { metal: Metal::Copper, temper: Temper::Soft, size_mm: 1.291 },
    sized_by: &["across_mm"],
    free: Free { height: "across_mm", width: "across_mm", blank: "across_mm" },
    page: Page {
        purpose: Text::named("shaped-ring-rings-with-shape-their-own"),
        wires: Text::named("shaped-ring-1-0-1-6-mm"),
        faults: &[
            Mishap::new(
                Text::named("shaped-ring-corners-crack"),
                Text::named("shaped-ring-their-radius-too-small-for"),
            ),
            Mishap::new(
                Text::named("shaped-ring-sides-bow"),
                Text::named("shaped-ring-they-were-bent-between-corners"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let sides = 4.0 + 2.0 * d.of("sides");
    let (across, corner) = (d.of("across_mm"), d.of("corner_mm"));
    let half = std::f64::consts::PI / sides;
    // A flat is what the corners' roundings leave of the polygon's side.
    let flat = (across - 2.0 * corner) * half.tan();
    Design::under(
        corner,
        across / 2.0,
        &PATTERN.parameters[2],
        text!("shaped-ring-corners-would-leave-no-flats"),
    )?;
    let first = f.lay(text!("shaped-ring-half-flat"), Course::straight(flat / 2.0));
    let (mut corners, mut flats) = (vec![], vec![]);
    #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "4, 6 or 8")]
    let n = sides as u32;
    for i in 0..n {
        corners.push(f.lay(text!("part-corner"), Course::left(2.0 * corner, 360.0 / sides)));
        if i + 1 < n {
            flats.push(f.lay(text!("part-flat"), Course::straight(flat)));
        }
    }
    let last = f.lay(text!("shaped-ring-half-flat"), Course::straight(flat / 2.0));
    f.stands = (first, 0.0);
    f.step(Operation::Bend, text!("part-corners"), &corners).hint =
        text!("shaped-ring-work-from-middle-outwards-on");
    f.step(Operation::Close, text!("part-ring"), &[]);
    f.closures.push(Closure { what: text!("shaped-ring-ring"), far_end: true, on: None });
    f.openings.push(Opening { what: text!("shaped-ring-ring"), inside_mm: across, mouth: None });
    f.bears.extend(flats.first());
    // Pulled across with its gap at the side: a quarter of the way round from it, in the middle of a flat or a corner.
    let quarter = |sides_on: usize| PullPoint::At(sides_on / 2, 0.5);
    f.pull = Some((quarter(n as usize), quarter(3 * n as usize)));
    f.shows("across_mm", DimensionPlace::From(first, last));
    Ok(())
}
