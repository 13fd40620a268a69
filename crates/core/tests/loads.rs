//! The line of pull: where neighbours come to lie, how far the wire runs from it, what gives first.
#![allow(clippy::unwrap_used, missing_docs)]

use std::f64::consts::PI;

use crate::common::{usual, with};
use glam::DVec3;
use lorimant_core::making::{Changes, Operation};
use lorimant_core::pattern::PatternRequest;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
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
    let load = made(&request).pulls_open_n;
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
    let (r, c, f) = ((2.2 + 0.8118) / 2.0, (9.0 + 0.8118_f64) / 2.0, 11.0_f64);
    // Of its two ends, the upper is c·f/L away from that line, the lower r·f/L.
    let expected = c.max(r) * f / (c + r).hypot(f);
    assert!((arm - expected).abs() < 2e-3, "{arm} for {expected}");
}

fn made(request: &PatternRequest) -> lorimant_core::making::holds::Holds {
    let shop = Workshop::default();
    request.finished(&shop).unwrap().holds().unwrap()
}

/// A round ring: Mp over its mean radius, as hard as bending left it; joined, four hinges.
#[test]
fn a_ring_opens_by_its_mean_radius_and_joined_holds_four_times_that() {
    let wire = Wire::round(Metal::FineSilver, 1.0, Temper::Soft);
    let ring = PatternRequest { wire, ..with("round-ring", &[("inside_mm", 6.0)]) };
    let open = made(&ring);
    let formed = ring.form().unwrap();
    let strain = 2.0 / (3.0 * PI) / formed.wound_mm(0).unwrap();
    let stress = |strain: f64| 310.0 - (310.0 - 50.0) * (-strain / 0.5_f64).exp();
    let expected = stress(strain) / 6.0 / 3.5;
    assert!((open.pulls_open_n / expected - 1.0).abs() < 1e-3 && !open.closed, "{open:?} for {expected}");
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
