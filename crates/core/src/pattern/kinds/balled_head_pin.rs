//! Balled head pin: its end drawn into a ball.

use crate::fault::Fault;
use crate::making::Operation;
use crate::pattern::design::{Design, DesignCheck, DimensionPlace, Dims};
use crate::pattern::page::{Mishap, Page};
use crate::pattern::{Family, Free, Parameter, Pattern, UsualWire, Worn};
use crate::shape::Course;
use crate::wire::metal::{Metal, Temper};
use crate::words::length::both;

/// Balled head pin: its end drawn into a ball.
pub static PATTERN: Pattern = Pattern {
    kind: "balled-head-pin",
    name: "balled head pin",
    plural: "balled head pins",
    also: &["ball pin", "balled pin", "ball head pin", "ball headpin", "balled headpin"],
    family: Family::Pins,
    worn: Worn::Between,
    paired: false,
    parameters: &[
        Parameter::mm("ball_mm", "ball", [1.8, 0.4, 8.0], "Diameter of the ball.").grows(),
        Parameter::mm("stem_mm", "stem", [35.0, 3.0, 200.0], "Straight stem."),
    ],
    wire: UsualWire { metal: Metal::FineSilver, temper: Temper::Soft, size_mm: 0.6438 },
    sized_by: &["stem_mm"],
    free: Free { height: "stem_mm", width: "ball_mm", blank: "stem_mm" },
    page: Page {
        purpose: "A round head made of the pin's own metal, held in the flame until it draws up.",
        wires: "0.5 to 0.8 mm. Fine silver and the germanium silvers ball bright; sterling blackens and needs pickle; copper balls with patience. Plated and filled wire must not be melted.",
        faults: &[
            Mishap::new("The ball is pitted", "It was held in the flame too long, or the wire was dirty."),
            Mishap::new(
                "The ball sits to one side",
                "The wire was not upright. Let it hang straight down as it draws up.",
            ),
            Mishap::new("The stem is limp", "The heat annealed it. Pull it through smooth jaws a few times."),
        ],
    },
    form,
};

/// Largest ball that hangs on its wire, in thicknesses of it. Trade experience, an estimate.
const LARGEST_BALL: f64 = 4.0;

fn form(d: &Dims, f: &mut Design) -> Result<(), Fault> {
    let ball = f.lay("ball", Course::Ball { diameter_mm: d.of("ball_mm") });
    let stem = f.lay("stem", Course::straight(d.of("stem_mm")));
    if d.of("ball_mm") <= f.h() {
        let said = format!(
            "A ball of {} is no thicker than its wire of {} and stops nothing. Enter a larger ball.",
            both(d.of("ball_mm")),
            both(f.h())
        );
        return Err(Fault::new("parameters.ball_mm", said).limit(f.h()));
    }
    let most = LARGEST_BALL * f.h();
    if d.of("ball_mm") > most {
        let said = format!(
            "A ball of {} falls off wire of {} before it draws up. Enter at most {}, or use thicker wire.",
            both(d.of("ball_mm")),
            both(f.h()),
            both(most)
        );
        return Err(Fault::new("parameters.ball_mm", said).limit(most));
    }
    f.step(Operation::Ball, "end", &[ball]);
    f.step(Operation::Hammer, "stem", &[]).hint =
        "Pull the stem through smooth jaws: the flame left it soft.";
    f.stands = (stem, 90.0);
    f.asks.push(DesignCheck::Stem { segment: stem });
    f.asks.push(DesignCheck::Melts);
    f.shows("ball_mm", DimensionPlace::Across(ball));
    f.shows("stem_mm", DimensionPlace::Along(stem));
    Ok(())
}
