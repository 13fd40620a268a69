//! The figures of a ring plan, each with its working.

use super::{FinishedRings, RingPlan, RingRequest};
use crate::figure::{Figure, Question, figure};
use crate::making::Step;
use crate::making::wear::{Wear, ought_to_bear};
use crate::tool::cutting::Method;
use crate::tool::hand::HandSpread;
use crate::tool::mandrel::Shape;
use crate::tool::workshop::Workshop;
use crate::wire::bending::Bending;
use crate::wire::section::{LENGTH_SHARE, Section};
use crate::wire::strength::{self, load_told, strain_level, weight_that_pulls};
use crate::words::length::{LengthUnit, caliper_number, long_length, shown};
use crate::words::mass::on_scale;
use crate::working::{Numbers, count, num, pi, plain, sum};
use lorimant_text::{Text, fixed, text};

const VOCE: Text = Text::named("ring-figures-voce-flow-curve-with-typical");
const GEOMETRY: Text = Text::named("ring-figures-geometry");
const TALLY: Text = Text::named("ring-figures-counting");

impl FinishedRings {
    /// Every figure of the rings in the order it is read, with its working.
    pub fn figures(&self, request: &RingRequest, workshop: &Workshop) -> Vec<Figure> {
        let mut figures = self.in_your_hand(request, &workshop.hand, workshop.habits.unit);
        figures.extend(self.on_the_rod(request));
        figures.extend(self.off_the_spool(request));
        figures.extend(self.will_it_hold(request));
        figures
    }

    fn in_your_hand(&self, request: &RingRequest, hand: &HandSpread, unit: LengthUnit) -> Vec<Figure> {
        let question = Question::InYourHand;
        let id = self.plan.ring_inside_diameter_mm;
        let thickness = request.wire.profile().thickness_mm();
        let last = self.made.finished();
        let stretch = last.and_then(|last| last.stretches.first());
        let wide = stretch.map_or(thickness, |stretch| request.in_its_plane(stretch).0);
        let taken = request.cutting.taken(request.wire.size_mm).from_ring_mm;
        let label = match request.mandrel.shape {
            Shape::Round => text!("ring-figures-ring-inside"),
            Shape::Oval => text!("ring-figures-inside-long-way"),
            _ => text!("ring-figures-inside-across-flats"),
        };
        let sawn = request.cutting.method == Method::Saw;
        let sources: Vec<String> = hand
            .sources(&request.mandrel, sawn)
            .iter()
            .map(|(source, mm)| format!("{} {}", source.shown(), shown(*mm, 3)))
            .collect();
        let metal = request.wire.lot.filter(|lot| lot.is_measured()).map_or_else(
            || text!("ring-figures-metal-15-stiffness-3").to_owned(),
            |lot| {
                text!(
                    "ring-figures-still-unknown-about-lot",
                    lot_n = lot.lot_n,
                    spread = fixed(100.0 * lot.spread, 1)
                )
            },
        );
        let spread = text!(
            "ring-figures-mm-in-your-hand-one",
            ring_inside_hand_mm = fixed(self.plan.ring_inside_hand_mm, 2),
            ring_inside_spread_mm = fixed(self.plan.ring_inside_spread_mm, 2),
            metal,
            sources = sources.join(", ")
        );
        let shut = num(self.plan.coil_inside_diameter_mm, 3) - num(taken, 3) / pi();
        let (formula, numbers) = if request.mandrel.shape != Shape::Round {
            (
                text!("ring-figures-outline-perimeter-p-r1-r0"),
                Numbers::told(text!(
                    "ring-figures-r0-r1-cut-takes-mm",
                    springback_ratio = fixed(self.plan.springback_ratio, 4),
                    taken = fixed(taken, 3),
                    id = fixed(id, 3)
                )),
            )
        } else if let Some(thin) =
            stretch.map(|stretch| stretch.thickness_mm).filter(|_| wide > thickness + 1e-9)
        {
            // Hammered once or oftener, its middle line grows by the thickness it lost.
            let grown = (num(thickness, 3) / num(thin, 3)).power(LENGTH_SHARE);
            (
                text!("ring-figures-2-r1-c-taken-h"),
                ((shut + num(thickness, 3)) * grown - num(wide, 3)).comes_to(3, "mm"),
            )
        } else {
            (text!("ring-figures-2-r1-c-taken"), shut.comes_to(3, "mm"))
        };
        let closing = match request.cutting.method {
            Method::Saw => text!("ring-figures-saws-kerf-closed"),
            Method::DoubleFlush => text!("ring-figures-cut-flush-cutting-takes-its"),
            Method::Shears => text!("ring-figures-its-burr-filed-off-closed"),
            Method::SingleSnip => text!("ring-figures-snipped-filed-if-you-file"),
        };
        let inside = figure("ring-inside", question, label, String::new(), "mm")
            .by_caliper(id)
            .more(format!("± {}", caliper_number(self.plan.ring_inside_hand_mm, unit)))
            .says(text!("ring-figures-inside-finished-ring-after-coil", closing))
            .formula(formula, numbers)
            .assumes(text!("ring-figures-ring-closed-flat-true-usual"), spread, VOCE.as_str());
        let od = self.plan.ring_outside_diameter_mm;
        let outside = figure("ring-outside", question, text!("ring-figures-outside"), String::new(), "mm")
            .by_caliper(od)
            .says(text!("ring-figures-outside-same-ring-inside-plus"))
            .formula(text!("ring-figures-id-2-w"), (num(id, 3) + count(2) * num(wide, 3)).comes_to(3, "mm"))
            .assumes(
                text!("ring-figures-bending-doesnt-change-width-wire"),
                text!("ring-figures-as-inside-plus-twice-1"),
                GEOMETRY.as_str(),
            );
        let ratio = figure(
            "aspect-ratio",
            question,
            text!("ring-figures-aspect-ratio"),
            format!("{:.1}", self.plan.aspect_ratio),
            "",
        )
        .says(text!("ring-figures-inside-ring-wire-size-decides"))
        .formula(text!("ring-figures-id-w"), (num(id, 3) / num(wide, 3)).comes_to(3, ""))
        .assumes(
            text!("ring-figures-measured-in-plane-ring"),
            text!("ring-figures-as-inside-plus-1-wire"),
            GEOMETRY.as_str(),
        );
        let gap =
            figure("gap-step", question, text!("ring-figures-ends-offset-sideways"), String::new(), "mm")
                .by_caliper(self.plan.gap_step_mm)
                .says(text!("ring-figures-cut-ring-one-turn-helix"))
                .formula(
                    text!("ring-figures-pitch-r1-r0"),
                    (num(self.plan.pitch_mm, 3) / num(self.plan.springback_ratio, 4)).comes_to(3, "mm"),
                )
                .assumes(
                    text!("ring-figures-close-wound-each-turn-against"),
                    text!("ring-figures-1-wire-more-where-turns"),
                    GEOMETRY.as_str(),
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
        let mut wound = figure(
            "turns-wound",
            question,
            text!("ring-figures-turns-wind"),
            plan.turns_per_coil_n.to_string(),
            "",
        )
        .says(text!("ring-figures-turns-wind-for-one-coil"))
        .formula(
            text!("ring-figures-rings-turns-per-ring-uneven"),
            ((count(plan.rings_per_coil_n) * num(per_ring, 4) + plain(ends)) / num(ratio, 4))
                .comes_to(2, "")
                .so(&plan.turns_per_coil_n.to_string()),
        )
        .assumes(
            text!("ring-figures-coil-springs-open-completely"),
            spread_of_turns(plan),
            VOCE.as_str(),
        );
        if plan.coils_n > 1 {
            wound = wound.more(text!("ring-figures-for-each-coil").to_owned());
        }
        let left = turns * ratio;
        let mut relaxed = figure(
            "turns-relaxed",
            question,
            text!("ring-figures-left-once-sprung-open"),
            format!("{left:.1}"),
            "",
        )
        .says(text!("ring-figures-turns-left-in-coil-once"))
        .formula(
            text!("ring-figures-turns-r0-r1"),
            (count(plan.turns_per_coil_n) * num(ratio, 4)).comes_to(2, ""),
        )
        .assumes(
            text!("ring-figures-half-turn-each-coil-cut"),
            text!("ring-figures-as-springback"),
            VOCE.as_str(),
        );
        if plan.coils_n > 1 {
            relaxed = relaxed.more(text!("ring-figures-in-each-coil").to_owned());
        }
        [wound, relaxed]
    }

    /// How many coils, and how long the longest.
    fn coils(&self, request: &RingRequest) -> [Figure; 2] {
        let question = Question::OnTheRod;
        let pitch_formula = match request.wire.section {
            Section::Square => text!("ring-figures-turns-0-48-od-dm"),
            Section::Round => text!("ring-figures-turns-d"),
            Section::HalfRound => text!("ring-figures-turns-w"),
        };
        let room = room_told(request);
        let coils = figure("coils", question, text!("ring-figures-coils"), self.plan.coils_n.to_string(), "")
            .more(text!(
                "ring-figures-up-each",
                rings_per_coil_n = text!("count-ring", n = self.plan.rings_per_coil_n)
            ))
            .says(text!("ring-figures-coils-wind-on-this-rod"))
            .formula(
                text!("ring-figures-rings-rings-that-fit-one"),
                (count(request.rings_n) / count(self.plan.rings_per_coil_n))
                    .comes_to(2, "")
                    .so(&self.plan.coils_n.to_string()),
            )
            .assumes(room.clone(), text!("ring-figures-exact"), TALLY.as_str());
        let length = figure(
            "coil-length",
            question,
            text!("ring-figures-coil-on-rod"),
            format!("{:.1}", self.plan.coil_length_mm),
            "mm",
        )
        .ruler(self.plan.coil_length_mm)
        .says(text!("ring-figures-length-one-coil-on-rod"))
        .formula(
            pitch_formula,
            (count(self.plan.turns_per_coil_n) * num(self.plan.pitch_mm, 3)).comes_to(1, "mm"),
        )
        .assumes(room, text!("ring-figures-1-wire-loose-turns-make"), GEOMETRY.as_str());
        [coils, length]
    }

    /// What the coil springs to.
    fn springs_to(&self, request: &RingRequest) -> Figure {
        let (question, ratio) = (Question::OnTheRod, self.plan.springback_ratio);
        let bending = &self.bending;
        figure("coil-inside", question, text!("ring-figures-coil-springs"), String::new(), "mm")
            .by_caliper(self.plan.coil_inside_diameter_mm)
            .says(text!("ring-figures-inside-coil-once-has-sprung"))
            .formula("1/R1 = 1/R0 − M/(E·I)", spring_numbers(request, bending, ratio))
            .assumes(
                text!(
                    "ring-figures-taken-yield-at-mpa-when",
                    metal = request.wire.metal,
                    flow = fixed(bending.flow.flow_stress(0.0), 0),
                    temper = request.wire.temper,
                    saturated = fixed(bending.flow.saturated, 0)
                ),
                request
                    .wire
                    .lot
                    .filter(|lot| lot.is_measured())
                    .map_or(text!("ring-figures-yield-15-until-you-measure").to_owned(), |lot| {
                        text!("ring-figures-lot", lot_n = lot.lot_n, lot = lot.told())
                    }),
                VOCE.as_str(),
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
        let total = figure("wire-length", question, text!("ring-figures-wire-pull"), value, unit)
            .ruler(plan.wire_length_mm)
            .says(text!("ring-figures-everything-that-leaves-spool-turns"))
            .formula(
                text!("ring-figures-coils-turns-turn-length-tails"),
                (count(plan.coils_n)
                    * sum([
                        count(plan.turns_per_coil_n) * num(plan.turn_length_mm, 3),
                        num(ends_mm, 1),
                        num(more_mm, 2),
                    ]))
                .comes_to(1, "mm"),
            )
            .assumes(
                text!(
                    "ring-figures-one-wound-turn-p-2",
                    turn_length_mm = fixed(plan.turn_length_mm, 3),
                    anchor_mm = shown(request.ends.anchor_mm, 1),
                    finish_mm = shown(request.ends.finish_mm, 1)
                ),
                text!("ring-figures-about-0-3-cut-little"),
                GEOMETRY.as_str(),
            );
        let density = request.wire.metal.figures().density_g_cm3;
        let mass =
            figure("wire-mass", question, text!("ring-figures-weight"), on_scale(self.plan.wire_mass_g), "g")
                .says(text!("ring-figures-weight-wire-that-leaves-spool"))
                .formula(
                    text!("ring-figures-length-area-density"),
                    (num(self.plan.wire_length_mm, 1)
                        * num(request.wire.profile().area_mm2(), 4)
                        * plain(density)
                        / count(1000))
                    .comes_to(2, "g"),
                )
                .assumes(
                    text!("ring-figures-solid-wire-handbook-density"),
                    text!("ring-figures-2-from-1-wire-size"),
                    text!("ring-figures-handbook-density"),
                );
        let each = figure(
            "wire-per-ring",
            question,
            text!("ring-figures-wire-per-ring"),
            format!("{per_ring:.1}"),
            "mm",
        )
        .ruler(per_ring)
        .says(text!("ring-figures-wire-used-for-one-ring"))
        .formula(
            text!("ring-figures-wire-pull-rings"),
            (num(self.plan.wire_length_mm, 1) / count(request.rings_n)).comes_to(3, "mm"),
        )
        .assumes(
            text!("ring-figures-shared-evenly-over-all-rings"),
            text!("ring-figures-as-wire-pull"),
            TALLY.as_str(),
        );
        let share = |mm: f64| 100.0 * mm / self.plan.wire_length_mm;
        let cut_name = match request.cutting.method {
            Method::Saw => text!("ring-figures-kerf"),
            Method::DoubleFlush => text!("ring-figures-slivers"),
            Method::Shears | Method::SingleSnip => text!("ring-figures-filings"),
        };
        let ends = self.plan.ragged_wire_mm + self.plan.tails_wire_mm;
        let becomes = figure(
            "becomes-rings",
            question,
            text!("ring-figures-ends-up-in-rings"),
            format!("{:.1}", share(self.plan.rings_wire_mm)),
            "%",
        )
        .more(text!(
            "ring-figures-ends",
            cut_name,
            cutting_wire_mm = fixed(share(self.plan.cutting_wire_mm), 1),
            ends = fixed(share(ends), 1)
        ))
        .says(text!("ring-figures-where-wire-goes"))
        .formula(
            text!("ring-figures-rings-cut-uneven-ends-tails"),
            (num(self.plan.rings_wire_mm, 1)
                / sum([
                    num(self.plan.rings_wire_mm, 1),
                    num(self.plan.cutting_wire_mm, 1),
                    num(self.plan.ragged_wire_mm, 1),
                    num(self.plan.tails_wire_mm, 1),
                ]))
            .comes_to(3, ""),
        )
        .assumes(
            text!("ring-figures-no-ring-scrapped"),
            text!("ring-figures-adds-up-exactly"),
            TALLY.as_str(),
        );
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
        let mut load = num(flow, 1) * num(modulus, 4) / num(arm, 3);
        let opening = last.and_then(|last| request.gives(last)?.1);
        if let Some(opening) = opening {
            load = num(opening.pulls_open, 3) * load;
        }
        let first = self.holds.map_or(0.0, |holds| holds.first_set_n);
        let (weight, unit) = weight_that_pulls(force);
        let hold = figure(
            "opening-force",
            question,
            if closed {
                text!("ring-figures-pulls-out-shape-at-about")
            } else {
                text!("ring-figures-opens-at-about")
            },
            weight,
            unit,
        )
        .more(text!("ring-figures-starts-open-at", first = load_told(first)))
        .says(match (closed, request.mandrel.shape.sides()) {
            (true, _) => text!("ring-figures-ring-joined-so-doesnt-open"),
            (false, Some(_)) => {
                text!("ring-figures-pull-that-opens-closed-unsoldered")
            }
            (false, None) => text!("ring-figures-pull-that-opens-closed-unsoldered-ring"),
        })
        .formula(
            if closed { text!("ring-figures-f-4-z-arm") } else { text!("ring-figures-f-z-arm") },
            if closed { count(4) * load } else { load }.comes_to(2, "N"),
        )
        .assumes(
            text!("ring-figures-estimate-plastic-collapse-for-ring"),
            text!("ring-figures-40-15-from-metal-rest"),
            VOCE.as_str(),
        );
        let fit = self.holds.and_then(|holds| ought_to_bear(&Wear::AROUND, holds));
        let used = self.plan.strain_used;
        let hardest = self.made.steps.iter().max_by(|a, b| {
            let share = |step: &Step| step.numbers.strain_used.unwrap_or(0.0);
            share(a).total_cmp(&share(b))
        });
        let at = hardest.map_or(text!("ring-figures-bend"), |step| step.named.as_str());
        let before = hardest.and_then(|step| step.step_n.checked_sub(2)).and_then(|i| self.made.steps.get(i));
        let sold = request.wire.temper.bearing_spent();
        let spent = before.and_then(|step| step.workpiece.stretches.first()).map_or(sold, |s| s.outer_strain);
        let after =
            hardest.and_then(|step| step.workpiece.stretches.first()).map_or(spent, |s| s.outer_strain);
        let left = strength::strain_left_after(request.wire.metal, spent);
        let mut strain = figure(
            "strain-used",
            question,
            text!("ring-figures-bending-uses"),
            format!("{:.0}", 100.0 * used),
            "%",
        )
        .says(text!("ring-figures-stretch-outer-fibre-at-hardest", at))
        .formula(
            text!("ring-figures-strain-step-max-f-strain"),
            ((num(after, 3) - num(spent, 3)) / num(left, 3)).comes_to(3, ""),
        )
        .assumes(
            text!("ring-figures-above-60-close-cracking-above"),
            text!("ring-figures-breaking-strain-varies-by-third"),
            text!("ring-figures-true-strain-outer-fibre-handbook"),
        );
        strain.level = strain_level(used);
        let effort = figure(
            "hand-effort",
            question,
            text!("ring-figures-effort-bend"),
            shown(self.plan.hand_effort, 1),
            "×",
        )
        .more(text!("ring-figures-20-awg-soft-copper").to_owned())
        .says(text!("ring-figures-how-hard-this-wire-on"))
        .formula(
            text!("ring-figures-z-z-20-awg-soft"),
            Numbers::told(text!(
                "ring-figures-times-its-plastic-moment",
                hand_effort = fixed(self.plan.hand_effort, 2)
            )),
        )
        .assumes(text!("ring-figures-bent-by-hand-at-same"), "± 20 %.", VOCE.as_str());
        [Some(hold), fit, Some(strain), Some(effort)].into_iter().flatten().collect()
    }
}

fn spread_of_turns(plan: &RingPlan) -> String {
    let mean = plan.coil_inside_diameter_mm + plan.ring_outside_diameter_mm - plan.ring_inside_diameter_mm;
    text!(
        "ring-figures-turns-as-springback",
        turns_wound = fixed(plan.turns_wound * plan.ring_inside_spread_mm / mean, 1)
    )
}

fn spring_numbers(request: &RingRequest, bending: &Bending, ratio: f64) -> Numbers {
    if request.mandrel.shape != Shape::Round {
        return Numbers::told(text!("ring-figures-each-part-outline-by-its", ratio = fixed(ratio, 4)));
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
        Some(room) => text!("ring-figures-rod-holds-mm-coil", room = shown(room, 1)),
        None => text!("ring-figures-rod-has-no-length-entered", request = shown(request.coil_room_mm(), 0)),
    }
}
