//! The figures of a ring plan, each with its working.

use super::{RingPlan, RingRequest};
use crate::figure::{Figure, Level, Question, figure};
use crate::making::holds::Holds;
use crate::making::wear::{Wear, ought_to_bear};
use crate::shape::hammered::width_mm;
use crate::tool::cutting::Method;
use crate::tool::hand::Hand;
use crate::tool::mandrel::Shape;
use crate::wire::bending::Bending;
use crate::wire::section::Section;
use crate::wire::strength::{self, CRACK_STRAIN, GRAVITY, WATCH_STRAIN};
use crate::words::counted;
use crate::words::length::{LengthUnit, caliper_number, long_length, shown};

const VOCE: &str = "Voce flow curve with typical handbook values; bending of plane sections past yield.";
const GEOMETRY: &str = "Geometry.";
const TALLY: &str = "Counting.";

impl RingPlan {
    /// Every figure of the plan in the order it is read, with its working.
    pub fn figures(&self, request: &RingRequest) -> Vec<Figure> {
        self.figures_by(request, &Hand::default(), LengthUnit::Mm)
    }

    /// The same for a plan made by a hand as even as this, in the unit read first.
    pub fn figures_by(&self, request: &RingRequest, hand: &Hand, unit: LengthUnit) -> Vec<Figure> {
        let mut figures = self.in_your_hand(request, hand, unit);
        figures.extend(self.on_the_rod(request));
        figures.extend(self.off_the_spool(request));
        figures.extend(self.will_it_hold(request));
        figures
    }

    fn in_your_hand(&self, request: &RingRequest, hand: &Hand, unit: LengthUnit) -> Vec<Figure> {
        let question = Question::InYourHand;
        let id = self.ring_inside_diameter_mm;
        let thickness = request.wire.profile().thickness_mm();
        let taken = request.cutting.taken(request.wire.size_mm).from_ring_mm;
        let label = match request.mandrel.shape {
            Shape::Round => "ring inside Ø",
            Shape::Oval => "inside, long way",
            _ => "inside across flats",
        };
        let sawn = request.cutting.method == Method::Saw;
        let sources: Vec<String> = hand
            .sources(&request.mandrel, sawn)
            .iter()
            .map(|(what, mm)| format!("{what} {}", shown(*mm, 3)))
            .collect();
        let metal = request.wire.lot.filter(|lot| lot.is_measured()).map_or_else(
            || "metal ±15 %, stiffness ±3 %".to_owned(),
            |lot| format!("what is left to learn of lot {} ±{:.1} %", lot.lot_n, 100.0 * lot.spread),
        );
        let spread = format!(
            "In your hand ± {:.2} mm, one standard deviation. Of that metal and kerf ± {:.2}: {metal}, wire size ±1 %, kerf \
             ±0.02 mm; your hand adds {}, each in mm, in squares.",
            self.ring_inside_hand_mm,
            self.ring_inside_spread_mm,
            sources.join(", ")
        );
        let (formula, numbers) = if request.mandrel.shape == Shape::Round {
            (
                "2·(R1 − c) − taken/π",
                format!("{:.3} − {taken:.3}/π = {id:.3} mm", self.coil_inside_diameter_mm),
            )
        } else {
            (
                "outline of perimeter P·R1/R0 + 2πc·(R1/R0 − 1) − taken",
                format!("R0/R1 = {:.4}, cut takes {taken:.3} mm: {id:.3} mm across", self.springback_ratio),
            )
        };
        let closing = match request.cutting.method {
            Method::Saw => "the saw's kerf is closed",
            Method::DoubleFlush => "it is cut; flush cutting takes its sliver between rings, not out of them",
            Method::Shears => "its burr is filed off and it is closed",
            Method::SingleSnip => "it is snipped, filed if you file it, and closed",
        };
        let inside = figure("ring-inside", question, label, format!("{id:.2}"), "mm")
            .ruler(id)
            .more(format!("± {}", caliper_number(self.ring_inside_hand_mm, unit)))
            .says(format!("Inside of the ring in your hand, after the coil has sprung open and {closing}."))
            .formula(formula, numbers)
            .assumes(
                "The ring is closed true and flat. An unmeasured lot is taken as the handbook's.",
                spread,
                VOCE,
            );
        let od = self.ring_outside_diameter_mm;
        let outside = figure("ring-outside", question, "outside", format!("{od:.2}"), "mm")
            .ruler(od)
            .says("Outside of the same ring: inside plus twice the wire's thickness.")
            .formula("ID + 2·h", format!("{id:.3} + 2 × {thickness:.3} = {od:.3} mm"))
            .assumes(
                "Wire keeps its thickness in the bend.",
                "As the inside, and twice ±1 % of the wire.",
                GEOMETRY,
            );
        let ratio =
            figure("aspect-ratio", question, "inside Ø to wire", format!("{:.2}", self.aspect_ratio), "")
                .says("Ratio of the ring's inside to its wire: what decides which weaves it will go into.")
                .formula("ID / h", format!("{id:.3} / {thickness:.3} = {:.3}", self.aspect_ratio))
                .assumes(
                    "Measured in the plane of the ring.",
                    "As the inside, and ±1 % of the wire.",
                    GEOMETRY,
                );
        let gap = figure("gap-step", question, "gap stands sideways", format!("{:.2}", self.gap_step_mm), "mm")
            .ruler(self.gap_step_mm)
            .says("A cut ring is a turn of a helix: its ends stand one turn apart sideways until you twist it closed.")
            .formula(
                "pitch · R1/R0",
                format!("{:.3} / {:.4} = {:.3} mm", self.pitch_mm, self.springback_ratio, self.gap_step_mm),
            )
            .assumes("Close coil, each turn against the last.", "± 1 % of the wire, more where turns were spread.", GEOMETRY);
        vec![inside, outside, ratio, gap]
    }

    fn on_the_rod(&self, request: &RingRequest) -> Vec<Figure> {
        let [wound, relaxed] = self.turns(request);
        let [coils, length] = self.coils(request);
        vec![wound, relaxed, coils, length, self.springs_to(request)]
    }

    /// Turns to wind, and turns left.
    fn turns(&self, request: &RingRequest) -> [Figure; 2] {
        let question = Question::OnTheRod;
        let ratio = self.springback_ratio;
        let mut wound =
            figure("turns-wound", question, "turns to wind", format!("{:.1}", self.turns_wound), "")
                .says("Turns to lay on the rod, so that enough are left once it has sprung open.")
                .formula(
                    "turns left · R1/R0",
                    format!("{:.2} / {ratio:.4} = {:.2}", self.turns_relaxed, self.turns_wound),
                )
                .assumes("The coil springs open completely.", spread_of_turns(self), VOCE);
        if self.coils_n > 1 {
            let per_coil = self.turns_wound / f64::from(self.coils_n);
            wound = wound.more(format!("{per_coil:.1} a coil"));
        }
        let ends = request.ends.ragged_turns;
        let relaxed =
            figure("turns-relaxed", question, "left once sprung open", format!("{:.1}", self.turns_relaxed), "")
                .says("Turns left when the coil has sprung: one per ring, more where slivers are trimmed, and the ragged ends.")
                .formula(
                    "rings · turns per ring + coils · ragged",
                    format!(
                        "{} × {:.3} + {} × {} = {:.2}",
                        request.rings_n,
                        (self.turns_relaxed - f64::from(self.coils_n) * ends) / f64::from(request.rings_n),
                        self.coils_n,
                        shown(ends, 2),
                        self.turns_relaxed
                    ),
                )
                .assumes("Half a turn is cut away ragged from each coil unless you say otherwise.", "Exact.", TALLY);
        [wound, relaxed]
    }

    /// How many coils, and how long the longest.
    fn coils(&self, request: &RingRequest) -> [Figure; 2] {
        let question = Question::OnTheRod;
        let pitch_formula = match request.wire.section {
            Section::Square => "turns · 0.48·a·(OD/Dm + 1)",
            Section::Round => "turns · d",
            Section::HalfRound => "turns · w",
        };
        let room = room_told(request);
        let coils = figure("coils", question, "coils", self.coils_n.to_string(), "")
            .more(format!("{} each at most", counted(self.rings_per_coil_n, "ring")))
            .says("Coils to wind on this rod. More rings than one coil holds mean more coils, each with its own tails.")
            .formula(
                "rings / rings that fit one coil, rounded up",
                format!("{} / {} → {}", request.rings_n, self.rings_per_coil_n, self.coils_n),
            )
            .assumes(room.clone(), "Exact.", TALLY);
        let length =
            figure("coil-length", question, "longest coil", format!("{:.1}", self.coil_length_mm), "mm")
                .ruler(self.coil_length_mm)
                .says("Length of the longest coil on the rod, close wound. A short rod means more coils, each with its own tails.")
                .formula(
                    pitch_formula,
                    format!(
                        "{:.2} × {:.3} = {:.1} mm",
                        self.coil_length_mm / self.pitch_mm,
                        self.pitch_mm,
                        self.coil_length_mm
                    ),
                )
                .assumes(room, "± 1 % of the wire; loose turns make it longer.", GEOMETRY);
        [coils, length]
    }

    /// What the coil springs to.
    fn springs_to(&self, request: &RingRequest) -> Figure {
        let (question, ratio) = (Question::OnTheRod, self.springback_ratio);
        let bending = request.bending();
        figure(
            "coil-inside",
            question,
            "coil springs to",
            format!("{:.2}", self.coil_inside_diameter_mm),
            "mm",
        )
        .ruler(self.coil_inside_diameter_mm)
        .says("Inside of the coil once it has sprung open. The bend relaxes by the moment that held it, divided by the wire's stiffness.")
        .formula(
            "1/R1 = 1/R0 − M/(E·I)",
            spring_numbers(request, &bending, ratio),
        )
        .assumes(
            format!(
                "{} is taken to flow at {:.0} MPa as it comes ({}), rising towards {:.0} MPa.",
                request.wire.metal,
                bending.flow.flow_stress(0.0),
                request.wire.temper,
                bending.flow.saturated
            ),
            request.wire.lot.filter(|lot| lot.is_measured()).map_or(
                "Flow stress ±15 % until a lot is measured, stiffness ±3 %.".to_owned(),
                |lot| format!("Lot {} {}.", lot.lot_n, lot.told()),
            ),
            VOCE,
        )
    }

    fn off_the_spool(&self, request: &RingRequest) -> Vec<Figure> {
        let question = Question::OffTheSpool;
        let (value, unit) = long_length(self.wire_length_mm);
        let per_ring = self.wire_length_mm / f64::from(request.rings_n);
        let total = figure("wire-length", question, "wire to pull", value, unit)
            .ruler(self.wire_length_mm)
            .says("Everything that leaves the spool: turns wound, anchor and finishing tails.")
            .formula(
                "turns · turn length + coils · tails",
                format!(
                    "{:.2} × {:.3} + {:.0} = {:.1} mm",
                    self.turns_wound, self.turn_length_mm, self.tails_wire_mm, self.wire_length_mm
                ),
            )
            .assumes(
                format!(
                    "One wound turn is √((P + 2πc)² + pitch²) = {:.3} mm. Each coil has a {} mm anchor and a {} mm finish.",
                    self.turn_length_mm,
                    shown(request.ends.anchor_mm, 1),
                    shown(request.ends.finish_mm, 1)
                ),
                "About ± 0.3 %; cut a little long when in doubt.",
                GEOMETRY,
            );
        let density = request.wire.metal.figures().density_g_cm3;
        let mass = figure("wire-mass", question, "weight", format!("{:.1}", self.wire_mass_g), "g")
            .says("Weight of the wire that leaves the spool.")
            .formula(
                "length · area · density",
                format!(
                    "{:.1} × {:.4} × {density}/1000 = {:.2} g",
                    self.wire_length_mm,
                    request.wire.profile().area_mm2(),
                    self.wire_mass_g
                ),
            )
            .assumes(
                "Solid wire of handbook density.",
                "± 2 %, from ±1 % of the wire size.",
                "Handbook density.",
            );
        let each = figure("wire-per-ring", question, "wire per ring", format!("{per_ring:.2}"), "mm")
            .ruler(per_ring)
            .says("What one ring costs in wire, its share of tails and losses included.")
            .formula(
                "wire to pull / rings",
                format!("{:.1} / {} = {per_ring:.3} mm", self.wire_length_mm, request.rings_n),
            )
            .assumes("Shared evenly over all rings.", "As the wire to pull.", TALLY);
        let share = |mm: f64| 100.0 * mm / self.wire_length_mm;
        let cut_name = match request.cutting.method {
            Method::Saw => "kerf",
            Method::DoubleFlush => "slivers",
            Method::Shears | Method::SingleSnip => "filings",
        };
        let ends = self.ragged_wire_mm + self.tails_wire_mm;
        let becomes = figure(
            "becomes-rings",
            question,
            "becomes rings",
            format!("{:.1}", share(self.rings_wire_mm)),
            "%",
        )
        .more(format!("{cut_name} {:.1} %, ends {:.1} %", share(self.cutting_wire_mm), share(ends)))
        .says("Where the wire goes.")
        .formula(
            "rings + cut + ragged + tails = all",
            format!(
                "{:.1} + {:.1} + {:.1} + {:.1} = {:.1} mm",
                self.rings_wire_mm,
                self.cutting_wire_mm,
                self.ragged_wire_mm,
                self.tails_wire_mm,
                self.wire_length_mm
            ),
        )
        .assumes("No ring is spoilt.", "Adds up exactly.", TALLY);
        vec![total, mass, each, becomes]
    }

    fn will_it_hold(&self, request: &RingRequest) -> Vec<Figure> {
        let question = Question::WillItHold;
        let force = self.opening_force_n;
        let profile = request.wire.profile();
        let thick = request.hammered_mm.unwrap_or(profile.thickness_mm());
        let modulus = profile.hammered_modulus_mm3(thick);
        // Hammered, the wire is wider in the ring's plane.
        let half = request.hammered_mm.map_or(profile.centroid_mm(), |to_mm| width_mm(profile, to_mm) / 2.0);
        let arm = self.ring_inside_short_mm / 2.0 + half;
        let moment = force * arm;
        let first = Holds::of(force, false).first_set_n;
        let grams = force / GRAVITY * 1000.0;
        let hold = figure("opening-force", question, "opens at about", force_shown(force), "N")
            .more(format!("first set {} · {} g", force_shown(first), shown(grams, 0)))
            .says(if request.mandrel.shape.sides().is_some() {
                "Pull that opens a closed, unsoldered ring with its gap at the side. It gives at a flat, which is as hard as \
                 the wire was sold."
            } else {
                "Pull that opens a closed, unsoldered ring with its gap at the side."
            })
            .formula(
                "F = σ·Z / arm",
                format!(
                    "{:.0} × {:.4} / {arm:.3} = {force:.2} N",
                    moment / modulus,
                    modulus
                ),
            )
            .assumes(
                "An estimate of plastic collapse for the ring as bent, not a rating. A tenth of a millimetre stays open from 0.6 of it. Faces that do not meet open sooner.",
                "± 40 %: 15 from the metal, the rest from how it is shut and pulled.",
                VOCE,
            );
        let fit = ought_to_bear(&Wear::AROUND, first);
        let used = self.strain_used;
        let left = strength::strain_left(&request.wire);
        let mut strain = figure("strain-used", question, "bend uses of its stretch", format!("{:.0}", 100.0 * used), "%")
            .says("Stretch of the outer fibre at the tightest bend, as a share of what the metal has left before it breaks.")
            .formula(
                "ln(1 + h/2R) / max(εf − temper, 0.06)",
                format!("{:.3} / {left:.3} = {used:.3}", used * left),
            )
            .assumes(
                "Above 60 % it is close to cracking. Above 100 % it is expected to crack. An estimate.",
                "Breaking strain varies by a third between lots.",
                "True strain of the outer fibre; handbook reduction of area.",
            );
        strain.level = if used > CRACK_STRAIN {
            Some(Level::Stop)
        } else if used > WATCH_STRAIN {
            Some(Level::Watch)
        } else {
            None
        };
        let effort = figure("hand-effort", question, "effort to bend", shown(self.hand_effort, 1), "×")
            .more("20 AWG soft copper".to_owned())
            .says("How hard this wire is on the hand that bends it, against a wire everyone knows.")
            .formula(
                "σ·Z / (σ·Z of 20 AWG soft copper)",
                format!("{:.2} times its plastic moment", self.hand_effort),
            )
            .assumes("Bent by hand at the same radius.", "± 20 %.", VOCE);
        [Some(hold), fit, Some(strain), Some(effort)].into_iter().flatten().collect()
    }
}

fn spread_of_turns(plan: &RingPlan) -> String {
    let mean = plan.coil_inside_diameter_mm + plan.ring_outside_diameter_mm - plan.ring_inside_diameter_mm;
    format!("± {:.1} turns, as the springback.", plan.turns_wound * plan.ring_inside_spread_mm / mean)
}

fn spring_numbers(request: &RingRequest, bending: &Bending, ratio: f64) -> String {
    if request.mandrel.shape != Shape::Round {
        return format!("each part of the outline by its own radius; together R0/R1 = {ratio:.4}");
    }
    let r0 = request.mandrel.outline().across() / 2.0 + bending.profile.centroid_mm();
    format!(
        "R0 = {r0:.3}, M = {:.2} N·mm, E·I = {:.0} N·mm²: R1 = {:.3}, R0/R1 = {ratio:.4}",
        bending.moment(1.0 / r0),
        bending.flow.modulus * bending.profile.second_moment_mm4(),
        r0 / ratio
    )
}

fn room_told(request: &RingRequest) -> String {
    match request.mandrel.coil_room_mm() {
        Some(room) => format!("The rod takes {} mm of coil.", shown(room, 1)),
        None => "No length is given for the rod, so one coil is taken.".to_owned(),
    }
}

fn force_shown(newtons: f64) -> String {
    if newtons < 10.0 { format!("{newtons:.1}") } else { format!("{newtons:.0}") }
}
