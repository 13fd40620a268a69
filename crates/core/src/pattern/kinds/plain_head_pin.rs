//! Plain head pin: its end folded back short, to stop a bead.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, text};

/// Plain head pin: its end folded back short, to stop a bead.
pub static PATTERN: Pattern = Pattern {
    kind: "plain-head-pin",
    name: Text::named("plain-head-pin-plain-head-pin"),
    plural: Text::named("plain-head-pin-plain-head-pins"),
    also: &["head pin", "head pins", "headpin", "headpins"],
    family: Family::Pins,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm(
            "fold_mm",
            Text::named("plain-head-pin-fold"),
            [2.0, 0.8, 12.0],
            Text::named("plain-head-pin-length-folded-back"),
        )
        .grows(),
        Parameter::mm(
            "stem_mm",
            Text::named("plain-head-pin-stem"),
            [35.0, 3.0, 200.0],
            Text::named("plain-head-pin-straight-stem"),
        ),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::Soft, size_mm: 0.6438 },
    sized_by: &["stem_mm"],
    free: Free { height: "stem_mm", width: "fold_mm", blank: "stem_mm" },
    page: Page {
        purpose: Text::named("plain-head-pin-stops-bead-from-below-without"),
        wires: Text::named("plain-head-pin-0-5-0-8-mm"),
        faults: &[
            Mishap::new(
                Text::named("plain-head-pin-bead-slips-over"),
                Text::named("plain-head-pin-fold-no-wider-than-two"),
            ),
            Mishap::new(
                Text::named("plain-head-pin-snaps-at-fold"),
                Text::named("plain-head-pin-wire-was-hard-fold-softer"),
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let folded = f.lay(text!("part-fold"), Course::straight(d.of("fold_mm")));
    let bend = f.lay(text!("plain-head-pin-turn-fold"), Course::left(0.0, 180.0));
    let stem = f.lay(text!("part-stem"), Course::straight(d.of("stem_mm")));
    f.step(Operation::Fold, text!("part-end"), &[folded, bend]);
    f.stands = (stem, 90.0);
    f.asks.push(DesignCheck::Stem { segment: stem });
    f.shows("fold_mm", DimensionPlace::Along(folded));
    f.shows("stem_mm", DimensionPlace::Along(stem));
    Ok(())
}
