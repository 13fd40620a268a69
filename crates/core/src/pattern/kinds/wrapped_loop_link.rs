//! Link with a wrapped loop at each end and room for a bead.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::{COUNTED, WRAP_TAIL_MM, full_turns, wrapped_loop, wraps_cover_mm};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::{Course, backwards};
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Link with a wrapped loop at each end and room for a bead.
pub static PATTERN: Pattern = Pattern {
    kind: "wrapped-loop-link",
    name: Text::named("wrapped-loop-link-wrapped-loop-link"),
    plural: Text::named("wrapped-loop-link-wrapped-loop-links"),
    also: &[
        "wrapped link",
        "wrapped links",
        "bead link",
        "bead links",
        "wire wrapped link",
        "wrapped bead link",
    ],
    family: Family::Links,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm(
            "loop_mm",
            Text::named("wrapped-loop-link-loops"),
            [2.6, 1.0, 15.0],
            Text::named("wrapped-loop-link-inside-both-loops"),
        )
        .grows(),
        Parameter::mm(
            "room_mm",
            Text::named("wrapped-loop-link-room-for-bead"),
            [8.0, 0.5, 80.0],
            Text::named("wrapped-loop-link-straight-wire-left-between-wraps"),
        )
        .fits(),
        Parameter::turns(
            "wraps_n",
            Text::named("wrapped-loop-link-wraps"),
            [2.5, 0.5, 12.0],
            Text::named("wrapped-loop-link-wraps-at-each-end"),
        ),
        Parameter::choice(
            "counted",
            Text::named("wrapped-loop-link-wraps-counted-as"),
            COUNTED,
            1.0,
            Text::named("wrapped-loop-link-how-wraps-counted"),
        ),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::HalfHard, size_mm: 0.6438 },
    sized_by: &["room_mm"],
    free: Free { height: "room_mm", width: "loop_mm", blank: "room_mm" },
    page: Page {
        purpose: Text::named("wrapped-loop-link-carries-bead-between-two-loops"),
        wires: Text::named("wrapped-loop-link-0-5-0-8-mm"),
        faults: &[
            Mishap::new(
                Text::named("wrapped-loop-link-bead-rattles"),
                Text::named("wrapped-loop-link-room-longer-than-bead-measure"),
            ),
            Mishap::new(
                Text::named("wrapped-loop-link-wraps-spread"),
                Text::named("wrapped-loop-link-they-were-pulled-along-stem"),
            ),
            Mishap::new(
                Text::named("wrapped-loop-link-cut-end-scratches"),
                Text::named("wrapped-loop-link-tail-was-not-trimmed-flush"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let turns = full_turns(d.of("wraps_n"), d.second("counted"));
    let near = backwards(&wrapped_loop(f, d.of("loop_mm"), turns));
    f.segments.extend(near);
    let stem = f.segments.len();
    let cover = wraps_cover_mm(f, turns);
    f.lay(text!("part-stem"), Course::straight(d.of("room_mm") + 2.0 * cover));
    let far = wrapped_loop(f, d.of("loop_mm"), turns);
    f.segments.extend(far);
    let last = f.segments.len() - 1;
    let (near_wraps, far_wraps): (Vec<usize>, Vec<usize>) =
        ((0..stem - 2).collect(), (stem + 3..=last).collect());
    for (wraps, neck, rolled) in [(&near_wraps, stem - 1, stem - 2), (&far_wraps, stem + 1, stem + 2)] {
        f.pressed.extend(wraps.iter().flat_map(|wrap| [(neck, *wrap), (rolled, *wrap), (stem, *wrap)]));
    }
    f.tails_mm = (WRAP_TAIL_MM, WRAP_TAIL_MM);
    for what in [text!("wrapped-loop-link-first-loop"), text!("wrapped-loop-link-second-loop")] {
        f.openings.push(Opening { what, inside_mm: d.of("loop_mm"), mouth: None });
    }
    f.step(Operation::Loop, text!("wrapped-loop-link-first-loop"), &[stem - 2, stem - 1]);
    f.step(Operation::Wrap, text!("wrapped-loop-link-first-wraps"), &near_wraps);
    f.step(Operation::Loop, text!("wrapped-loop-link-second-loop"), &[stem + 1, stem + 2]).hint =
        text!("wrapped-loop-link-thread-bead-on-first-hang");
    f.step(Operation::Wrap, text!("wrapped-loop-link-second-wraps"), &far_wraps);
    f.stands = (stem, 90.0);
    f.wrapped.extend([stem - 2, stem + 2]);
    f.shows("loop_mm", DimensionPlace::Across(stem + 2));
    f.shows("room_mm", DimensionPlace::Along(stem));
    Ok(())
}
