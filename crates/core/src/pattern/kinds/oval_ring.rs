//! Oval jump ring: holds its place in a chain and resists opening.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Closure, Design, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::pull::PullPoint;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Oval jump ring: holds its place in a chain and resists opening.
pub static PATTERN: Pattern = Pattern {
    kind: "oval-ring",
    name: Text::named("oval-ring-oval-ring"),
    plural: Text::named("oval-ring-oval-rings"),
    also: &[],
    family: Family::Rings,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm(
            "long_mm",
            Text::named("oval-ring-inside-long-way"),
            [7.0, 1.0, 100.0],
            Text::named("oval-ring-long-axis-inside"),
        )
        .grows(),
        Parameter::mm(
            "short_mm",
            Text::named("oval-ring-short-way"),
            [4.5, 0.8, 100.0],
            Text::named("oval-ring-short-axis-inside"),
        )
        .grows(),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 1.024 },
    sized_by: &["long_mm", "short_mm"],
    free: Free { height: "short_mm", width: "long_mm", blank: "long_mm" },
    page: Page {
        purpose: Text::named("oval-ring-links-that-keep-their-direction"),
        wires: Text::named("oval-ring-0-8-1-3-mm"),
        faults: &[
            Mishap::new(
                Text::named("oval-ring-turns-round-in-chain"),
                Text::named("oval-ring-two-axes-too-similar"),
            ),
            Mishap::new(
                Text::named("oval-ring-one-end-rounder-than-other"),
                Text::named("oval-ring-oval-rod-was-turned-in"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let (long, short) = (d.of("long_mm"), d.of("short_mm"));
    Design::under(short, long, &PATTERN.parameters[1], text!("oval-ring-ovals-short-way-longer-than"))?;
    let ring = f.lay(text!("part-ring"), Course::Oval { long_mm: long, short_mm: short });
    f.stands = (ring, 0.0);
    f.step(Operation::Bend, text!("part-oval"), &[ring]).hint = text!("oval-ring-wind-on-oval-rod-or");
    f.step(Operation::Close, text!("part-ring"), &[]);
    f.closures.push(Closure { what: text!("oval-ring-ring"), far_end: true, on: None });
    f.openings.push(Opening { what: text!("oval-ring-ring"), inside_mm: short, mouth: None });
    f.bears.push(ring);
    // Pulled across with its gap at the side.
    f.pull = Some((PullPoint::At(ring, 0.25), PullPoint::At(ring, 0.75)));
    f.shows("long_mm", DimensionPlace::Across(ring));
    Ok(())
}
