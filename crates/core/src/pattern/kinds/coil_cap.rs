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
use lorimant_text::{Text, text};

/// Coil end cap with one turn lifted into a bail.
pub static PATTERN: Pattern = Pattern {
    kind: "coil-cap",
    name: Text::named("coil-cap-coil-end-cap"),
    plural: Text::named("coil-cap-coil-end-caps"),
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
        Parameter::mm(
            "cord_mm",
            Text::named("coil-cap-for-cord"),
            [3.0, 0.5, 30.0],
            Text::named("coil-cap-diameter-cord"),
        )
        .fits(),
        Parameter::mm(
            "fit_mm",
            Text::named("coil-cap-with-play"),
            [0.2, 0.0, 5.0],
            Text::named("coil-cap-how-much-wider-bore-than"),
        )
        .fits(),
        Parameter::choice(
            "wound_on",
            Text::named("coil-cap-wound-on"),
            &[Text::named("coil-cap-rod"), Text::named("coil-cap-cord-itself")],
            1.0,
            Text::named("coil-cap-wound-on-cord-itself-wire"),
        ),
        Parameter::turns(
            "turns_n",
            Text::named("coil-cap-turns"),
            [16.0, 2.0, 100.0],
            Text::named("coil-cap-turns-coil-without-lifted-one"),
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
        purpose: Text::named("coil-cap-closes-end-cord-cord-glued"),
        wires: Text::named("coil-cap-0-6-0-8-mm"),
        faults: &[
            Mishap::new(
                Text::named("coil-cap-two-caps-differ-in-height"),
                Text::named("coil-cap-turns-were-counted-differently-or"),
            ),
            Mishap::new(Text::named("coil-cap-bail-leans"), Text::named("coil-cap-two-turns-were-lifted-by")),
            Mishap::new(
                Text::named("coil-cap-cord-pulls-out"),
                Text::named("coil-cap-bore-too-wide-wind-on"),
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
    let coil = f.lay(
        text!("part-coil"),
        Course::Wrap { core_mm: bore, turns, pitch_mm: f.profile.size_mm, roll_deg: 90.0 },
    );
    let bail = f.lay(text!("part-bail"), Course::right(bore, on_stem_deg(bore, h, h)));
    f.step(Operation::Coil, text!("part-coil"), &[coil]).hint = text!("coil-cap-anchor-left-end-by-its");
    f.step(Operation::Lift, text!("coil-cap-last-turn"), &[bail]);
    // The tail anchors the wire on the rod, and comes off when it is wound.
    f.tails_mm.0 = WRAP_TAIL_MM;
    f.stands = (coil, 180.0);
    f.openings.push(Opening { what: text!("coil-cap-bail"), inside_mm: bore, mouth: None });
    f.asks.push(DesignCheck::Bore { bore_mm: bore, cord_mm: d.of("cord_mm") });
    f.pressed.push((coil, bail));
    if d.second("wound_on") {
        f.own_rod = Some(Mandrel { name: Some("cord".to_owned()), ..Mandrel::round(d.of("cord_mm")) });
    }
    f.shows("turns_n", DimensionPlace::Angle(coil));
    Ok(())
}
