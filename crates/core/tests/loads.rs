//! The line of pull: where neighbours come to lie, how far the wire runs from it, what gives first.
#![allow(clippy::unwrap_used, missing_docs)]

use std::f64::consts::PI;

use crate::common::{usual, with};
use glam::DVec3;
use lorimant_core::making::{Changes, Operation};
use lorimant_core::pattern::PatternRequest;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::bending::{Bending, FlowCurve};
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::opening::Formed;
use lorimant_core::wire::section::{Profile, Section};
use lorimant_core::wire::strength::collapse_n;
use proptest::prelude::*;
use rstest::rstest;

/// Points along a segment, from its start.
fn points(request: &PatternRequest, what: &str, n: u32) -> (usize, Vec<DVec3>) {
    let formed = request.form().unwrap();
    let i = formed.design.segments.iter().position(|s| s.what == what).unwrap();
    let placed = formed.path.placed.iter().find(|p| p.index == i).unwrap();
    (i, (0..=n).map(|k| placed.at(f64::from(k) / f64::from(n)).0).collect())
}

/// Neighbours that are pulled apart slide until they are as far from each other as the piece lets them; the moment is
/// then the force times the distance from the line through both, all along the wire between.
fn by_brute_force(request: &PatternRequest, near: &str, far: &str) -> f64 {
    let formed = request.form().unwrap();
    let ((first, a), (last, b)) = (points(request, near, 720), points(request, far, 720));
    let mut best = (0.0, 0, 0);
    for (i, p) in a.iter().enumerate() {
        for (j, q) in b.iter().enumerate() {
            let apart = p.distance(*q);
            if apart > best.0 {
                best = (apart, i, j);
            }
        }
    }
    let (from, to) = (a[best.1], b[best.2]);
    let profile = formed.design.profile;
    let mut least = f64::INFINITY;
    for placed in formed.path.placed.iter().filter(|p| (first..=last).contains(&p.index) && p.length_mm > 0.0)
    {
        let bent = formed.wound_mm(placed.index);
        let strain = bent.map_or(0.0, |radius| formed.bending.mean_strain(radius));
        let moment =
            formed.bending.flow.flow_stress(strain) * profile.plastic_modulus_mm3() * formed.design.strands;
        for k in 0..=720 {
            let share = f64::from(k) / 720.0;
            let carries = (placed.index != first || share >= best.1 as f64 / 720.0)
                && (placed.index != last || share <= best.2 as f64 / 720.0);
            let arm = (placed.at(share).0 - from).cross((to - from).normalize()).length();
            if carries && arm > 1e-3 {
                least = least.min(moment / arm);
            }
        }
    }
    least
}

#[rstest]
#[case("open-ear-wire", "loop", "crown", &[])]
#[case("open-ear-wire", "loop", "crown", &[("front_mm", 30.0), ("crown_mm", 14.0)])]
#[case("pointed-ear-wire", "loop", "point", &[])]
#[case("hook-clasp", "eye", "bend", &[])]
#[case("hook-clasp", "eye", "bend", &[("shank_mm", 4.0), ("eye_mm", 8.0)])]
#[case("s-clasp", "first bend", "second bend", &[])]
#[case("s-link", "first bend", "second bend", &[])]
#[case("figure-eight", "first loop", "second loop", &[("second_mm", 5.0)])]
#[case("doubled-hook", "eyes", "bend", &[])]
#[case("spiral-hook", "ring space", "bend", &[])]
fn what_gives_first_is_what_integrating_along_the_wire_finds(
    #[case] kind: &str,
    #[case] near: &str,
    #[case] far: &str,
    #[case] sizes: &[(&str, f64)],
) {
    let near = if near == "eyes" { "eye" } else { near };
    let request = with(kind, sizes);
    // As bending leaves it, before the mallet.
    let tapped = request.finished(&Workshop::default()).unwrap().made.steps;
    let tapped = tapped.iter().any(|step| step.operation == Operation::Hammer);
    let without = if tapped { vec![Operation::Hammer] } else { vec![] };
    let request = PatternRequest { route: Changes { without, ..Changes::default() }, ..request };
    let load = request.finished(&Workshop::default()).unwrap().gives.unwrap().collapse_n();
    let expected = by_brute_force(&request, near, far);
    assert!((load / expected - 1.0).abs() < 0.01, "{load} for {expected}");
}

/// The long side of an ear wire: the line from the loop's bottom to the crown's top leaves its upper end aside.
#[test]
fn the_long_side_of_an_ear_wire_has_its_arm_by_plane_geometry() {
    let request = usual("open-ear-wire");
    let formed = request.form().unwrap();
    let (i, _) = points(&request, "front", 1);
    let arm = formed.arms().iter().find(|(segment, _)| *segment == i).unwrap().1;
    // Front from (0, 0) up to (0, f); the loop's middle line of radius r about (−r, 0), the crown's of radius c about
    // (c, f). As far apart as they can be, the two touching places lie on the line through the two middles.
    let (r, c, f) = ((2.2 + 0.8118) / 2.0, (8.0 + 0.8118_f64) / 2.0, 9.0_f64);
    // Of its two ends, the upper is c·f/L away from that line, the lower r·f/L.
    let expected = c.max(r) * f / (c + r).hypot(f);
    assert!((arm - expected).abs() < 2e-3, "{arm} for {expected}");
}

fn made(request: &PatternRequest) -> lorimant_core::making::holds::Holds {
    let shop = Workshop::default();
    request.finished(&shop).unwrap().holds().unwrap()
}

/// A wire followed layer by layer and step by step: stretched, let go, stretched back, each layer hardening whichever way it
/// flows.
struct Layers {
    layers: Vec<(f64, f64)>,
    flow: FlowCurve,
    plastic: Vec<f64>,
    hardened: Vec<f64>,
    curvature: f64,
}

impl Layers {
    fn of(flow: FlowCurve, profile: Profile) -> Self {
        let half = profile.size_mm / 2.0;
        let width = |y: f64| match profile.section {
            Section::Round => 2.0 * (half * half - y * y).sqrt(),
            _ => profile.size_mm,
        };
        let deep = profile.size_mm / 240.0;
        let layers: Vec<(f64, f64)> =
            (0..240).map(|i| (f64::from(i) + 0.5) * deep - half).map(|y| (y, width(y) * deep)).collect();
        let zeros = vec![0.0; layers.len()];
        Self { plastic: zeros.clone(), hardened: zeros, layers, flow, curvature: 0.0 }
    }

    /// Bends it to a curvature, 1/mm, in small steps; gives the moment, N·mm.
    fn bend(&mut self, curvature: f64, steps: u32) -> f64 {
        let from = self.curvature;
        let mut moment = 0.0;
        for step in 1..=steps {
            self.curvature = from + (curvature - from) * f64::from(step) / f64::from(steps);
            moment = 0.0;
            for (i, (y, area)) in self.layers.iter().enumerate() {
                let mut stress = self.flow.modulus * (y * self.curvature - self.plastic[i]);
                let over = |flowed: f64| {
                    stress.abs()
                        - self.flow.modulus * flowed
                        - self.flow.flow_stress(self.hardened[i] + flowed)
                };
                if over(0.0) > 0.0 {
                    let (mut low, mut high) = (0.0, stress.abs() / self.flow.modulus);
                    for _ in 0..40 {
                        let middle = f64::midpoint(low, high);
                        if over(middle) > 0.0 { low = middle } else { high = middle }
                    }
                    self.plastic[i] += low.copysign(stress);
                    self.hardened[i] += low;
                    stress = self.flow.modulus * (y * self.curvature - self.plastic[i]);
                }
                moment += stress * y * area;
            }
        }
        moment
    }
}

/// Shares of the collapse at which half a ring stays open a tenth of a millimetre, and by its own thickness: the moment
/// along it, what each place bends by it, and how far that moves the gap, which lies a ring's width from the hinge.
fn by_layers(wire: &Wire, wound_mm: Option<f64>, arm_mm: f64) -> (f64, f64) {
    let bending = Bending::of(wire);
    let profile = wire.profile();
    let stiffness = bending.flow.modulus * profile.second_moment_mm4();
    let mut layers = Layers::of(bending.flow, profile);
    if let Some(radius) = wound_mm {
        let moment = layers.bend(1.0 / radius, 60);
        layers.bend(1.0 / radius - moment / stiffness, 5);
    }
    let from = layers.curvature;
    let back: Vec<f64> = (0..70).map(|i| 1e-4 * 1.12_f64.powi(i)).take_while(|back| *back < 0.8).collect();
    let curve: Vec<(f64, f64)> = back.iter().map(|back| (-layers.bend(from - back, 4), *back)).collect();
    let bent = |moment: f64| {
        let mut low = (0.0, 0.0);
        for high in &curve {
            if high.0 >= moment {
                return low.1 + (high.1 - low.1) * (moment - low.0) / (high.0 - low.0);
            }
            low = *high;
        }
        f64::INFINITY
    };
    let worked = wound_mm.map_or(0.0, |radius| bending.mean_strain(radius));
    let collapse = bending.flow.flow_stress(worked) * profile.plastic_modulus_mm3();
    let (mut first, mut off) = (f64::NAN, f64::NAN);
    for share in (20..250).map(|share| f64::from(share) / 100.0) {
        let mut stays = 0.0;
        for i in 0..400 {
            let sin = ((f64::from(i) + 0.5) / 400.0 * PI).sin();
            let moment = share * collapse * sin;
            let away = arm_mm * (1.0 + sin) * arm_mm * PI / 400.0;
            stays += (bent(moment) - moment / stiffness) * away;
        }
        if first.is_nan() && stays >= 0.1 {
            first = share;
        }
        if off.is_nan() && stays >= profile.thickness_mm() {
            off = share;
        }
    }
    (first, off)
}

/// An open place is followed fibre by fibre from the spool to its opening, by another way of reckoning.
#[rstest]
#[case(Metal::Copper, Section::Round, 1.02, Temper::Soft, Some(3.0), 3.04)]
#[case(Metal::Copper, Section::Square, 1.2, Temper::Soft, None, 4.6)]
#[case(Metal::SterlingSilver, Section::Round, 0.81, Temper::Soft, Some(4.7), 4.4)]
#[case(Metal::SterlingSilver, Section::Round, 0.81, Temper::HalfHard, Some(4.6), 4.4)]
#[case(Metal::SterlingSilver, Section::Round, 1.29, Temper::HalfHard, Some(3.0), 3.15)]
#[case(Metal::StainlessSteel, Section::Round, 0.8, Temper::HalfHard, Some(2.6), 3.0)]
#[case(Metal::FineSilver, Section::Round, 1.0, Temper::Soft, None, 3.5)]
fn what_opens_a_place_is_what_its_layers_bear(
    #[case] metal: Metal,
    #[case] section: Section,
    #[case] size_mm: f64,
    #[case] temper: Temper,
    #[case] wound_mm: Option<f64>,
    #[case] arm_mm: f64,
) {
    let wire = Wire { section, ..Wire::round(metal, size_mm, temper) };
    let (first, off) = by_layers(&wire, wound_mm, arm_mm);
    let bending = Bending::of(&wire);
    let collapse_nmm = arm_mm * collapse_n(&bending, arm_mm, wound_mm, 0.0);
    let found = Formed { bending, wound_mm, thickness_mm: wire.profile().thickness_mm() }
        .opening(arm_mm, collapse_nmm);
    let near = |a: f64, b: f64| (a / b - 1.0).abs() < 0.03;
    assert!(near(found.first_set, first) && near(found.pulls_open, off), "{found:?} for {first} and {off}");
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(200))]

    /// Metal that does not harden bears σ·Z and no more, however it was bent before; any metal opens a little before it opens.
    #[test]
    fn without_hardening_nothing_bears_more_than_collapse(
        size_mm in 0.4..2.0_f64, ratio in 1.5..8.0_f64, tight in 0.6..1.0_f64, straight in any::<bool>(), hardens in any::<bool>(),
    ) {
        let wire = Wire::round(Metal::Copper, size_mm, Temper::HalfHard);
        let mut bending = Bending::of(&wire);
        if !hardens {
            bending.flow = FlowCurve { annealed: 200.0, saturated: 200.0, slow: 0.0, ..bending.flow };
        }
        let arm_mm = ratio * size_mm;
        let wound_mm = (!straight).then_some(tight * arm_mm);
        let collapse_nmm = arm_mm * collapse_n(&bending, arm_mm, wound_mm, 0.0);
        let found = Formed { bending, wound_mm, thickness_mm: size_mm }.opening(arm_mm, collapse_nmm);
        prop_assert!(found.first_set > 0.0 && (hardens || found.pulls_open < 1.01), "{found:?}");
    }
}

/// A round ring: Mp over its mean radius, as hard as bending left it; joined, four hinges.
#[test]
fn a_ring_opens_by_its_mean_radius_and_joined_holds_four_times_that() {
    let wire = Wire::round(Metal::FineSilver, 1.0, Temper::Soft);
    let ring = PatternRequest { wire, ..with("round-ring", &[("inside_mm", 6.0)]) };
    let finished = ring.finished(&Workshop::default()).unwrap();
    let (open, collapse_n) = (finished.holds().unwrap(), finished.gives.unwrap().collapse_n());
    let formed = ring.form().unwrap();
    let strain = 2.0 / (3.0 * PI) / formed.wound_mm(0).unwrap();
    let stress = |strain: f64| 310.0 - (310.0 - 50.0) * (-strain / 0.5_f64).exp();
    let expected = stress(strain) / 6.0 / 3.5;
    assert!((collapse_n / expected - 1.0).abs() < 1e-3 && !open.closed, "{collapse_n} for {expected}");
    let fuse = serde_json::from_str(r#"{"with": [{"operation": "fuse", "after": "close"}]}"#).unwrap();
    let fused = made(&PatternRequest { route: fuse, ..ring });
    // Soft again by the heat: four hinges of annealed metal.
    let expected = 4.0 * stress(0.0) / 6.0 / 3.5;
    assert!((fused.pulls_open_n / expected - 1.0).abs() < 1e-3 && fused.closed, "{fused:?} for {expected}");
}

#[test]
fn a_wrapped_loop_is_closed_and_said_to_hold() {
    let holds = made(&usual("wrapped-loop-link"));
    assert!(holds.closed && holds.told().contains("closed for good"), "{}", holds.told());
}
