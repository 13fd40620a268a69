//! Balled head pin: its end drawn into a ball.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use crate::words::length::both;
use lorimant_text::{Text, text};

/// Balled head pin: its end drawn into a ball.
pub static PATTERN: Pattern = Pattern {
    kind: "balled-head-pin",
    name: Text::named("balled-head-pin-balled-head-pin"),
    plural: Text::named("balled-head-pin-balled-head-pins"),
    also: &["ball pin", "balled pin", "ball head pin", "ball headpin", "balled headpin"],
    family: Family::Pins,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm(
            "ball_mm",
            Text::named("balled-head-pin-ball"),
            [1.8, 0.4, 8.0],
            Text::named("balled-head-pin-diameter-ball"),
        )
        .grows(),
        Parameter::mm(
            "stem_mm",
            Text::named("balled-head-pin-stem"),
            [35.0, 3.0, 200.0],
            Text::named("balled-head-pin-straight-stem"),
        ),
    ],
    wire: UsualWire { metal: Metal::FineSilver, temper: Temper::Soft, size_mm: 0.6438 },
    sized_by: &["stem_mm"],
    free: Free { height: "stem_mm", width: "ball_mm", blank: "stem_mm" },
    page: Page {
        purpose: Text::named("balled-head-pin-round-head-made-pins-own"),
        wires: Text::named("balled-head-pin-0-5-0-8-mm"),
        faults: &[
            Mishap::new(
                Text::named("balled-head-pin-ball-pitted"),
                Text::named("balled-head-pin-was-held-in-flame-too"),
            ),
            Mishap::new(
                Text::named("balled-head-pin-ball-sits-one-side"),
                Text::named("balled-head-pin-wire-was-not-upright-let"),
            ),
            Mishap::new(
                Text::named("balled-head-pin-stem-limp"),
                Text::named("balled-head-pin-heat-annealed-pull-through-smooth"),
            ),
        ],
    },
    form,
};

/// Largest ball that hangs on its wire, in thicknesses of it. Trade experience, an estimate.
const LARGEST_BALL: f64 = 4.0;

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let ball = f.lay(text!("part-ball"), Course::Ball { diameter_mm: d.of("ball_mm") });
    let stem = f.lay(text!("part-stem"), Course::straight(d.of("stem_mm")));
    if d.of("ball_mm") <= f.h() {
        let message =
            text!("balled-head-pin-ball-no-thicker-than-its", d = both(d.of("ball_mm")), f = both(f.h()));
        return Err(Fault::new("parameters.ball_mm", message).limit(f.h()));
    }
    let most = LARGEST_BALL * f.h();
    if d.of("ball_mm") > most {
        let message = text!(
            "balled-head-pin-ball-falls-off-wire-before",
            d = both(d.of("ball_mm")),
            f = both(f.h()),
            most = both(most)
        );
        return Err(Fault::new("parameters.ball_mm", message).limit(most));
    }
    f.step(Operation::Ball, text!("part-end"), &[ball]);
    f.step(Operation::Hammer, text!("part-stem"), &[]).hint =
        text!("balled-head-pin-pull-stem-through-smooth-jaws");
    f.stands = (stem, 90.0);
    f.asks.push(DesignCheck::Stem { segment: stem });
    f.asks.push(DesignCheck::Melts);
    f.shows("ball_mm", DimensionPlace::Across(ball));
    f.shows("stem_mm", DimensionPlace::Along(stem));
    Ok(())
}
