//! Coil end cap with one turn lifted into a bail.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims, Opening};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::part::WRAP_TAIL_MM;
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::shape::closing::on_stem_deg;
use crate::tool::mandrel::Mandrel;
use crate::wire::metal::{Metal, Temper};

/// Coil end cap with one turn lifted into a bail.
pub static PATTERN: Pattern = Pattern {
    kind: "coil-cap",
    name: "coil end cap",
    plural: "coil end caps",
    also: &[
        "coil cap",
        "coil caps",
        "end cap",
        "end caps",
        "cord end",
        "cord ends",
        "cord end cap",
        "cord cap",
        "coiled end cap",
    ],
    family: Family::Ends,
    worn: Worn::Between,
    paired: true,
    parameters: &[
        Parameter::mm("cord_mm", "for cord of", [3.0, 0.5, 30.0], "Diameter of the cord."),
        Parameter::mm("fit_mm", "with play of", [0.2, 0.0, 5.0], "How much wider the bore is than the cord."),
        Parameter::choice(
            "wound_on",
            "wound on",
            &["a rod", "the cord itself"],
            1.0,
            "Wound on the cord itself, the wire springs open to its play.",
        ),
        Parameter::turns(
            "turns_n",
            "turns",
            [16.0, 2.0, 100.0],
            "Turns of the coil, without the lifted one. If left out, as many as make it three and a half \
             bores high.",
        )
        .from(|request| {
            let bore = request.value("cord_mm") + request.value("fit_mm");
            (HEIGHT_BORES * bore / request.wire.size_mm).round()
        }),
    ],
    wire: UsualWire { metal: Metal::Copper, temper: Temper::Soft, size_mm: 0.7 },
    sized_by: &["cord_mm"],
    free: Free { height: "turns_n", width: "cord_mm", blank: "turns_n" },
    page: Page {
        purpose: "Closes the end of a cord. The cord is glued or pinched into the coil, and the lifted turn \
                  takes the clasp. Two make a cord.",
        wires: "0.6 to 0.8 mm; 1.0 mm is heavy work. Soft to half-hard: the lifted turn must bend up \
                without cracking.",
        faults: &[
            Mishap::new(
                "The two caps differ in height",
                "The turns were counted differently, or one is pressed looser. Press both together and \
                 count on the same side.",
            ),
            Mishap::new("The bail leans", "Two turns were lifted by mistake. Trim one; the cap is fine."),
            Mishap::new(
                "The cord pulls out",
                "The bore is too wide. Wind on a thinner rod, springback included.",
            ),
        ],
    },
    form,
};

/// How many bores high a cap usually is.
const HEIGHT_BORES: f64 = 3.5;

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let bore = d.of("cord_mm") + d.of("fit_mm");
    let (h, turns) = (f.h(), d.of("turns_n"));
    let coil =
        f.lay("coil", Course::Wrap { core_mm: bore, turns, pitch_mm: f.profile.size_mm, roll_deg: 90.0 });
    let bail = f.lay("bail", Course::right(bore, on_stem_deg(bore, h, h)));
    f.step(Operation::Coil, "coil", &[coil]).hint =
        "Anchor the left end by its tail and keep the tension until the wire is clipped.";
    f.step(Operation::Lift, "last turn", &[bail]);
    // The tail anchors the wire on the rod, and comes off when it is wound.
    f.tails_mm.0 = WRAP_TAIL_MM;
    f.stands = (coil, 180.0);
    f.openings.push(Opening { what: "bail", inside_mm: bore, mouth: None });
    f.asks.push(DesignCheck::Bore { bore_mm: bore, cord_mm: d.of("cord_mm") });
    f.pressed.push((coil, bail));
    if d.second("wound_on") {
        f.own_rod = Some(Mandrel { name: Some("cord".to_owned()), ..Mandrel::round(d.of("cord_mm")) });
    }
    f.shows("turns_n", DimensionPlace::Angle(coil));
    Ok(())
}
