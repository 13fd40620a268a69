//! Plain head pin: its end folded back short, to stop a bead.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};

/// Plain head pin: its end folded back short, to stop a bead.
pub static PATTERN: Pattern = Pattern {
    kind: "plain-head-pin",
    name: "plain head pin",
    plural: "plain head pins",
    also: &["head pin", "head pins", "headpin", "headpins"],
    family: Family::Pins,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm("fold_mm", "fold", [2.0, 0.8, 12.0], "Length folded back.").grows(),
        Parameter::mm("stem_mm", "stem", [35.0, 3.0, 200.0], "Straight stem."),
    ],
    wire: UsualWire { metal: Metal::SterlingSilver, temper: Temper::Soft, size_mm: 0.6438 },
    sized_by: &["stem_mm"],
    free: Free { height: "stem_mm", width: "fold_mm", blank: "stem_mm" },
    page: Page {
        purpose: "Stops a bead from below without torch or hammer: the end is folded back on itself and pressed.",
        wires: "0.5 to 0.8 mm (24 to 20 AWG), whatever goes through the beads. Soft: the fold is hard on \
                the wire. The stem is hardened afterwards by pulling it through smooth jaws.",
        faults: &[
            Mishap::new(
                "The bead slips over it",
                "The fold is no wider than two wires. Choose a bead with a smaller hole, or make a balled \
                 or paddle head.",
            ),
            Mishap::new(
                "It snaps at the fold",
                "The wire was hard. Fold softer wire, once, and press it together slowly.",
            ),
        ],
    },
    form,
};

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let folded = f.lay("fold", Course::straight(d.of("fold_mm")));
    let bend = f.lay("turn of the fold", Course::left(0.0, 180.0));
    let stem = f.lay("stem", Course::straight(d.of("stem_mm")));
    f.step(Operation::Fold, "end", &[folded, bend]);
    f.stands = (stem, 90.0);
    f.asks.push(DesignCheck::Stem { segment: stem });
    f.shows("fold_mm", DimensionPlace::Along(folded));
    f.shows("stem_mm", DimensionPlace::Along(stem));
    Ok(())
}
