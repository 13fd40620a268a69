//! The figures of a ring plan, each with its working.

use super::{FinishedRings, RingPlan, RingRequest};
use crate::figure::{Figure, Level, Question, figure};
use crate::making::Step;
use crate::making::holds::Holds;
use crate::making::wear::{Wear, ought_to_bear};
use crate::tool::cutting::Method;
use crate::tool::hand::Hand;
use crate::tool::mandrel::Shape;
use crate::tool::workshop::Workshop;
use crate::wire::bending::Bending;
use crate::wire::section::{LENGTH_SHARE, Section};
use crate::wire::strength::{self, CRACK_STRAIN, WATCH_STRAIN, load_told, weight_that_pulls};
use crate::words::counted;
use crate::words::length::{LengthUnit, caliper_number, long_length, shown};
use crate::words::mass::on_scale;
use crate::working::{Numbers, count, num, pi, plain, sum};

const VOCE: &str = "Voce flow curve with typical handbook values. Bending of plane sections past yield.";
const GEOMETRY: &str = "Geometry.";
const TALLY: &str = "Counting.";

impl FinishedRings {
    /// Every figure of the rings in the order it is read, with its working.
    pub fn figures(&self, request: &RingRequest, workshop: &Workshop) -> Vec<Figure> {
        let mut figures = self.in_your_hand(request, &workshop.hand, workshop.habits.unit);
        figures.extend(self.on_the_rod(request));
        figures.extend(self.off_the_spool(request));
        figures.extend(self.will_it_hold(request));
        figures
    }

    fn in_your_hand(&self, request: &RingRequest, hand: &Hand, unit: LengthUnit) -> Vec<Figure> {
        let question = Question::InYourHand;
        let id = self.plan.ring_inside_diameter_mm;
        let thickness = request.wire.profile().thickness_mm();
        let last = self.made.finished();
        let stretch = last.and_then(|last| last.stretches.first());
        let wide = stretch.map_or(thickness, |stretch| request.in_its_plane(stretch).0);
        let taken = request.cutting.taken(request.wire.size_mm).from_ring_mm;
        let label = match request.mandrel.shape {
            Shape::Round => "ring inside",
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
            |lot| format!("still unknown about lot {} ±{:.1} %", lot.lot_n, 100.0 * lot.spread),
        );
        let spread = format!(
            "± {:.2} mm in your hand, one standard deviation. Of this, metal and kerf ± {:.2} ({metal}, \
             wire size ±1 %, kerf ±0.02 mm). Your hand adds {}, each in mm, added as squares.",
            self.plan.ring_inside_hand_mm,
            self.plan.ring_inside_spread_mm,
            sources.join(", ")
        );
        let shut = num(self.plan.coil_inside_diameter_mm, 3) - num(taken, 3) / pi();
        let (formula, numbers) = if request.mandrel.shape != Shape::Round {
            (
                "outline of perimeter P·R1/R0 + 2πc·(R1/R0 − 1) − taken, grown as it is hammered",
                Numbers::told(format!(
                    "R0/R1 of {:.4}, the cut takes {taken:.3} mm, then {id:.3} mm across",
                    self.plan.springback_ratio
                )),
            )
        } else if let Some(thin) =
            stretch.map(|stretch| stretch.thickness_mm).filter(|_| wide > thickness + 1e-9)
        {
            // Hammered once or oftener, its middle line grows by the thickness it lost.
            let grown = (num(thickness, 3) / num(thin, 3)).power(LENGTH_SHARE);
            (
                "(2·(R1 − c) − taken/π + h)·(h/t)^0.3 − width",
                ((shut + num(thickness, 3)) * grown - num(wide, 3)).comes_to(3, "mm"),
            )
        } else {
            ("2·(R1 − c) − taken/π", shut.comes_to(3, "mm"))
        };
        let closing = match request.cutting.method {
            Method::Saw => "the saw's kerf is closed",
            Method::DoubleFlush => "it is cut. Flush cutting takes its sliver between rings, not out of them",
            Method::Shears => "its burr is filed off and it is closed",
            Method::SingleSnip => "it is snipped, filed if you file it, and closed",
        };
        let inside = figure("ring-inside", question, label, String::new(), "mm")
            .by_caliper(id)
            .more(format!("± {}", caliper_number(self.plan.ring_inside_hand_mm, unit)))
            .says(format!("Inside of the finished ring, after the coil has sprung open and {closing}."))
            .formula(formula, numbers)
            .assumes(
                "The ring is closed flat and true. The usual springback is used until you measure the lot.",
                spread,
                VOCE,
            );
        let od = self.plan.ring_outside_diameter_mm;
        let outside = figure("ring-outside", question, "outside", String::new(), "mm")
            .by_caliper(od)
            .says("Outside of the same ring: inside plus twice the wire's width in its plane.")
            .formula("ID + 2·w", (num(id, 3) + count(2) * num(wide, 3)).comes_to(3, "mm"))
            .assumes(
                "Bending doesn't change the width of the wire.",
                "As the inside, plus twice ±1 % of the wire.",
                GEOMETRY,
            );
        let ratio =
            figure("aspect-ratio", question, "aspect ratio", format!("{:.1}", self.plan.aspect_ratio), "")
                .says("Inside of the ring ÷ wire size. It decides which weaves the ring fits.")
                .formula("ID / w", (num(id, 3) / num(wide, 3)).comes_to(3, ""))
                .assumes(
                    "Measured in the plane of the ring.",
                    "As the inside, plus ±1 % of the wire.",
                    GEOMETRY,
                );
        let gap = figure("gap-step", question, "ends offset sideways", String::new(), "mm")
            .by_caliper(self.plan.gap_step_mm)
            .says(
                "A cut ring is one turn of a helix: its ends are one turn apart sideways until you close it.",
            )
            .formula(
                "pitch · R1/R0",
                (num(self.plan.pitch_mm, 3) / num(self.plan.springback_ratio, 4)).comes_to(3, "mm"),
            )
            .assumes(
                "Close-wound, each turn against the last.",
                "± 1 % of the wire, more where turns were spread.",
                GEOMETRY,
            );
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
        let ratio = self.plan.springback_ratio;
        let plan = &self.plan;
        let turns = f64::from(plan.turns_per_coil_n);
        let per_ring =
            1.0 + request.cutting.taken(request.wire.size_mm).between_mm / plan.relaxed_turn_length_mm;
        let ends = request.ends.ragged_turns;
        let mut wound =
            figure("turns-wound", question, "turns to wind", plan.turns_per_coil_n.to_string(), "")
                .says(
                    "Turns to wind for one coil, so that enough are left once it has sprung open. Rounded up \
                   to whole turns you can count.",
                )
                .formula(
                    "(rings · turns per ring + uneven ends) · R1/R0, rounded up",
                    ((count(plan.rings_per_coil_n) * num(per_ring, 4) + plain(ends)) / num(ratio, 4))
                        .comes_to(2, "")
                        .so(&plan.turns_per_coil_n.to_string()),
                )
                .assumes("The coil springs open completely.", spread_of_turns(plan), VOCE);
        if plan.coils_n > 1 {
            wound = wound.more("for each coil".to_owned());
        }
        let left = turns * ratio;
        let mut relaxed =
            figure("turns-relaxed", question, "left once sprung open", format!("{left:.1}"), "")
                .says(
                    "Turns left in a coil once it has sprung open: one per ring, the slivers between them, \
                   the uneven ends, and the rounding up.",
                )
                .formula("turns · R0/R1", (count(plan.turns_per_coil_n) * num(ratio, 4)).comes_to(2, ""))
                .assumes(
                    "Half a turn of each coil is cut away as uneven, unless you change it.",
                    "As the springback.",
                    VOCE,
                );
        if plan.coils_n > 1 {
            relaxed = relaxed.more("in each coil".to_owned());
        }
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
        let coils = figure("coils", question, "coils", self.plan.coils_n.to_string(), "")
            .more(format!("up to {} each", counted(self.plan.rings_per_coil_n, "ring")))
            .says(
                "Coils to wind on this rod. More rings than one coil holds need more coils, each with its \
                   own tails.",
            )
            .formula(
                "rings / rings that fit one coil, rounded up",
                (count(request.rings_n) / count(self.plan.rings_per_coil_n))
                    .comes_to(2, "")
                    .so(&self.plan.coils_n.to_string()),
            )
            .assumes(room.clone(), "Exact.", TALLY);
        let length = figure(
            "coil-length",
            question,
            "coil on the rod",
            format!("{:.1}", self.plan.coil_length_mm),
            "mm",
        )
        .ruler(self.plan.coil_length_mm)
        .says(
            "Length of one coil on the rod, close-wound. A short rod means more coils, each with \
                       its own tails.",
        )
        .formula(
            pitch_formula,
            (count(self.plan.turns_per_coil_n) * num(self.plan.pitch_mm, 3)).comes_to(1, "mm"),
        )
        .assumes(room, "± 1 % of the wire. Loose turns make it longer.", GEOMETRY);
        [coils, length]
    }

    /// What the coil springs to.
    fn springs_to(&self, request: &RingRequest) -> Figure {
        let (question, ratio) = (Question::OnTheRod, self.plan.springback_ratio);
        let bending = &self.bending;
        figure(
            "coil-inside",
            question,
            "coil springs to",
            String::new(),
            "mm",
        )
        .by_caliper(self.plan.coil_inside_diameter_mm)
        .says("Inside of the coil once it has sprung open. The bend relaxes by the moment that held it, divided by the wire's stiffness.")
        .formula(
            "1/R1 = 1/R0 − M/(E·I)",
            spring_numbers(request, bending, ratio),
        )
        .assumes(
            format!(
                "{} is taken to yield at {:.0} MPa when wound (as sold {}), rising towards {:.0} MPa.",
                request.wire.metal,
                bending.flow.flow_stress(0.0),
                request.wire.temper,
                bending.flow.saturated
            ),
            request.wire.lot.filter(|lot| lot.is_measured()).map_or(
                "Yield ±15 % until you measure a lot, stiffness ±3 %.".to_owned(),
                |lot| format!("Lot {} {}.", lot.lot_n, lot.told()),
            ),
            VOCE,
        )
    }

    fn off_the_spool(&self, request: &RingRequest) -> Vec<Figure> {
        let question = Question::OffTheSpool;
        let plan = &self.plan;
        let (value, unit) = long_length(plan.wire_length_mm);
        let per_ring = plan.wire_length_mm / f64::from(request.rings_n);
        let in_turns_mm = f64::from(plan.turns_per_coil_n) * plan.turn_length_mm;
        let ends_mm = request.ends.anchor_mm + request.ends.finish_mm;
        let more_mm = plan.coil_wire_mm - in_turns_mm - ends_mm;
        let total = figure("wire-length", question, "wire to pull", value, unit)
            .ruler(plan.wire_length_mm)
            .says("Everything that leaves the spool: turns, anchor and finishing tails, rounded up to the \
                   metre stick's next mark.")
            .formula(
                "coils · (turns · turn length + tails + rounding up)",
                (count(plan.coils_n)
                    * sum([
                        count(plan.turns_per_coil_n) * num(plan.turn_length_mm, 3),
                        num(ends_mm, 1),
                        num(more_mm, 2),
                    ]))
                .comes_to(1, "mm"),
            )
            .assumes(
                format!(
                    "One wound turn is √((P + 2πc)² + pitch²) = {:.3} mm. Each coil has a {} mm anchor and a {} mm finish.",
                    plan.turn_length_mm,
                    shown(request.ends.anchor_mm, 1),
                    shown(request.ends.finish_mm, 1)
                ),
                "About ± 0.3 %. Cut a little long if in doubt.",
                GEOMETRY,
            );
        let density = request.wire.metal.figures().density_g_cm3;
        let mass = figure("wire-mass", question, "weight", on_scale(self.plan.wire_mass_g), "g")
            .says("Weight of the wire that leaves the spool.")
            .formula(
                "length · area · density",
                (num(self.plan.wire_length_mm, 1)
                    * num(request.wire.profile().area_mm2(), 4)
                    * plain(density)
                    / count(1000))
                .comes_to(2, "g"),
            )
            .assumes(
                "Solid wire of handbook density.",
                "± 2 %, from ±1 % of the wire size.",
                "Handbook density.",
            );
        let each = figure("wire-per-ring", question, "wire per ring", format!("{per_ring:.1}"), "mm")
            .ruler(per_ring)
            .says("Wire used for one ring, with its share of tails and losses.")
            .formula(
                "wire to pull / rings",
                (num(self.plan.wire_length_mm, 1) / count(request.rings_n)).comes_to(3, "mm"),
            )
            .assumes("Shared evenly over all rings.", "As the wire to pull.", TALLY);
        let share = |mm: f64| 100.0 * mm / self.plan.wire_length_mm;
        let cut_name = match request.cutting.method {
            Method::Saw => "kerf",
            Method::DoubleFlush => "slivers",
            Method::Shears | Method::SingleSnip => "filings",
        };
        let ends = self.plan.ragged_wire_mm + self.plan.tails_wire_mm;
        let becomes = figure(
            "becomes-rings",
            question,
            "ends up in rings",
            format!("{:.1}", share(self.plan.rings_wire_mm)),
            "%",
        )
        .more(format!("{cut_name} {:.1} %, ends {:.1} %", share(self.plan.cutting_wire_mm), share(ends)))
        .says("Where the wire goes.")
        .formula(
            "rings + cut + uneven ends + tails = all",
            sum([
                num(self.plan.rings_wire_mm, 1),
                num(self.plan.cutting_wire_mm, 1),
                num(self.plan.ragged_wire_mm, 1),
                num(self.plan.tails_wire_mm, 1),
            ])
            .comes_to(1, "mm"),
        )
        .assumes("No ring is scrapped.", "Adds up exactly.", TALLY);
        vec![total, mass, each, becomes]
    }

    fn will_it_hold(&self, request: &RingRequest) -> Vec<Figure> {
        let question = Question::WillItHold;
        let force = self.plan.opening_force_n;
        let last = self.made.finished();
        let stretch = last.and_then(|last| last.stretches.first());
        let closed = last.is_some_and(|last| last.joined.is_some());
        let side = last.map_or(0.0, |last| last.softer_at_side);
        let strain = stretch.map_or(0.0, |stretch| stretch.strain - side);
        let flow = Bending::after(&request.wire, strain).flow.flow_stress(0.0);
        let modulus = request.wire.profile().hammered_modulus_mm3(stretch.map_or(0.0, |s| s.thickness_mm));
        let to_middle = stretch.map_or(0.0, |stretch| request.in_its_plane(stretch).1);
        let arm = self.plan.ring_inside_short_mm / 2.0 + to_middle;
        let load = num(flow, 1) * num(modulus, 4) / num(arm, 3);
        let first = Holds::of(force, closed).first_set_n;
        let (weight, unit) = weight_that_pulls(force);
        let hold = figure(
            "opening-force",
            question,
            if closed { "pulls out of shape at about" } else { "opens at about" },
            weight,
            unit,
        )
        .more(format!("starts to open at {}", load_told(first)))
        .says(match (closed, request.mandrel.shape.sides()) {
            (true, _) => "The ring is joined, so it doesn't open. This pull draws it out of shape.",
            (false, Some(_)) => {
                "Pull that opens a closed, unsoldered ring with its gap at the side. It \
                                     gives way at a flat."
            }
            (false, None) => "Pull that opens a closed, unsoldered ring with its gap at the side.",
        })
        .formula(
            if closed { "F = 4·σ·Z / arm" } else { "F = σ·Z / arm" },
            if closed { count(4) * load } else { load }.comes_to(2, "N"),
        )
        .assumes(
            "An estimate of plastic collapse for the ring as bent, not a rating. From 0.6 of it, a \
                 tenth of a millimetre stays open. Ends that don't meet open sooner.",
            "± 40 %: 15 from the metal, the rest from how it is closed and pulled.",
            VOCE,
        );
        let fit = ought_to_bear(&Wear::AROUND, first);
        let used = self.plan.strain_used;
        let hardest = self.made.steps.iter().max_by(|a, b| {
            let share = |step: &Step| step.numbers.strain_used.unwrap_or(0.0);
            share(a).total_cmp(&share(b))
        });
        let at = hardest.map_or("bend", |step| step.named.as_str());
        let before = hardest.and_then(|step| step.step_n.checked_sub(2)).and_then(|i| self.made.steps.get(i));
        let sold = request.wire.temper.strain();
        let spent = before.and_then(|step| step.workpiece.stretches.first()).map_or(sold, |s| s.outer_strain);
        let after =
            hardest.and_then(|step| step.workpiece.stretches.first()).map_or(spent, |s| s.outer_strain);
        let left = strength::strain_left_after(request.wire.metal, spent);
        let mut strain = figure("strain-used", question, "bending uses", format!("{:.0}", 100.0 * used), "%")
            .says(format!(
                "Stretch of the outer fibre at the hardest step ({at}), as a share of what the \
                           metal can still take before it breaks."
            ))
            .formula(
                "strain of the step / max(εf − strain before, 0.06)",
                ((num(after, 3) - num(spent, 3)) / num(left, 3)).comes_to(3, ""),
            )
            .assumes(
                "Above 60 % it is close to cracking, above 100 % it will probably crack. An estimate.",
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
        let effort = figure("hand-effort", question, "effort to bend", shown(self.plan.hand_effort, 1), "×")
            .more("20 AWG soft copper".to_owned())
            .says("How hard this wire is on the hand, compared with a wire everyone knows.")
            .formula(
                "σ·Z / (σ·Z of 20 AWG soft copper)",
                Numbers::told(format!("{:.2} times its plastic moment", self.plan.hand_effort)),
            )
            .assumes("Bent by hand at the same radius.", "± 20 %.", VOCE);
        [Some(hold), fit, Some(strain), Some(effort)].into_iter().flatten().collect()
    }
}

fn spread_of_turns(plan: &RingPlan) -> String {
    let mean = plan.coil_inside_diameter_mm + plan.ring_outside_diameter_mm - plan.ring_inside_diameter_mm;
    format!("± {:.1} turns, as the springback.", plan.turns_wound * plan.ring_inside_spread_mm / mean)
}

fn spring_numbers(request: &RingRequest, bending: &Bending, ratio: f64) -> Numbers {
    if request.mandrel.shape != Shape::Round {
        return Numbers::told(format!(
            "each part of the outline by its own radius; together R0/R1 is {ratio:.4}"
        ));
    }
    let r0 = request.mandrel.outline().across() / 2.0 + bending.profile.centroid_mm();
    let stiffness = bending.flow.modulus * bending.profile.second_moment_mm4();
    let relaxed = count(1) / num(r0, 4) - num(bending.moment(1.0 / r0), 3) / num(stiffness, 1);
    let radius = count(1) / relaxed;
    let inside = count(2) * (num(r0 / ratio, 4) - num(bending.profile.centroid_mm(), 4));
    radius.comes_to(4, "mm").then(&inside.comes_to(3, "mm"))
}

fn room_told(request: &RingRequest) -> String {
    match request.mandrel.coil_room_mm() {
        Some(room) => format!("The rod holds {} mm of coil.", shown(room, 1)),
        None => format!(
            "The rod has no length entered: {} mm of coil is used, and by hand 100 turns, as hands can hold.",
            shown(request.coil_room_mm(), 0)
        ),
    }
}
