//! The geometry of wire followed through space: closed forms, contact, springback.
#![allow(clippy::unwrap_used, missing_docs)]

use std::f64::consts::{PI, TAU};

use glam::DVec3;
use lorimant_core::shape::closing::{bend_back_deg, crossing_mm, on_neck_deg, on_stem_deg};
use lorimant_core::shape::contact::{segments_apart, through_itself};
use lorimant_core::shape::path::{Frame, Path};
use lorimant_core::shape::{Course, Segment, ball_wire_mm};
use lorimant_core::wire::Wire;
use lorimant_core::wire::bending::Bending;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::{Profile, Section};
use lorimant_core::wire::surface::Surface;
use proptest::prelude::*;
use rstest::rstest;

fn round(size_mm: f64) -> Profile {
    Profile { section: Section::Round, size_mm }
}

fn follow(courses: &[Course], profile: Profile) -> Path {
    let segments: Vec<Segment> = courses.iter().map(|course| Segment::new("part", *course)).collect();
    Path::follow(&segments, profile, Frame::default())
}

/// Integral by Simpson's rule over many steps.
fn integral(to: f64, f: impl Fn(f64) -> f64) -> f64 {
    let n = 20_000;
    let h = to / f64::from(n);
    let inner: f64 = (1..n).map(|i| if i % 2 == 0 { 2.0 } else { 4.0 } * f(h * f64::from(i))).sum();
    (f(0.0) + inner + f(to)) * h / 3.0
}

#[test]
fn lengths_follow_their_closed_forms() {
    let (d, wire) = (0.8118, round(0.8118));
    let near = |a: f64, b: f64| assert!((a - b).abs() < 1e-9 * b.max(1.0), "{a} for {b}");
    near(follow(&[Course::left(5.0, 137.0)], wire).length_mm, 137.0_f64.to_radians() * (5.0 + d) / 2.0);
    for turns in [0.5, 2.5, 7.0] {
        let wraps = Course::Wrap { core_mm: 1.3, turns, pitch_mm: d, roll_deg: -90.0 };
        near(follow(&[wraps], wire).length_mm, turns * ((PI * (1.3 + d)).powi(2) + d * d).sqrt());
    }
    let (r0, turns) = (0.8 + d / 2.0, 2.5);
    let spiral = Course::Spiral { inner_mm: 1.6, turns, pitch_mm: d, roll_deg: 0.0 };
    // Archimedean, r = r0 + aθ: ½a[φ√(1 + φ²) + asinh φ] between φ = r0/a and r1/a.
    let a = d / TAU;
    let sum = |r: f64| {
        let phi = r / a;
        a / 2.0 * (phi * phi.hypot(1.0) + phi.asinh())
    };
    near(follow(&[spiral], wire).length_mm, sum(r0 + d * turns) - sum(r0));
    let (small, large, pitch) = (1.6, 6.0, 0.7);
    let cone = Course::Cone { small_mm: small, large_mm: large, turns: 8.0, pitch_mm: pitch, roll_deg: 90.0 };
    let (grow, climb) = ((large - small) / 2.0 / (8.0 * TAU), pitch / TAU);
    let sum = integral(8.0 * TAU, |t| {
        let r = small / 2.0 + d / 2.0 + grow * t;
        (r * r + grow * grow + climb * climb).sqrt()
    });
    near(follow(&[cone], wire).length_mm, sum);
    near(ball_wire_mm(1.8, wire), 2.0 * 1.8_f64.powi(3) / (3.0 * d * d));
}

/// A loop rolled onto its own straight stem closes at 360° − arccos(ID/OD): there the inner corner of
/// the end face touches the stem.
#[rstest]
#[case(2.2, 0.8118)]
#[case(3.0, 1.291)]
#[case(1.0, 0.6438)]
fn a_rolled_loop_closes_on_its_stem(#[case] inside: f64, #[case] d: f64) {
    let angle = on_stem_deg(inside, d, d);
    assert!((angle - (360.0 - (inside / (inside + 2.0 * d)).acos().to_degrees())).abs() < 1e-9);
    let path = follow(&[Course::straight(10.0), Course::left(inside, angle)], round(d));
    // Its outer corner lies on the stem's near surface, y = d/2.
    let corner = path.end.at - path.end.axes.y_axis * (d / 2.0);
    assert!((corner.y - d / 2.0).abs() < 1e-9, "{corner}");
    // An endless neck is a straight stem.
    assert!((on_neck_deg(inside, (d, d), 1e9) - angle).abs() < 1e-4);
}

#[rstest]
#[case(2.4, 0.6438)]
#[case(5.0, 1.0)]
fn a_loop_bent_back_stands_over_its_stem(#[case] inside: f64, #[case] d: f64) {
    let (loop_mm, neck_mm) = (inside / 2.0 + d / 2.0, d);
    let back = bend_back_deg(loop_mm, neck_mm);
    let neck = Course::right(2.0 * neck_mm - d, back);
    let path = follow(&[Course::straight(10.0), neck, Course::left(inside, 90.0)], round(d));
    // The centre of the loop lies on the line of the stem, y = 0.
    let centre = path.placed[2].centre().unwrap();
    assert!(centre.y.abs() < 1e-9, "{centre}");
}

/// Loops rolled off both ends of the crossing, to opposite sides, touch: their centres stand their two
/// mean radii and one wire apart.
#[test]
fn the_crossing_of_an_eight_lets_its_loops_touch() {
    for (first, second, d) in [(2.0, 2.0, 1.0), (3.5, 1.2, 0.8)] {
        let courses = [
            Course::left(2.0 * first - d, 200.0),
            Course::straight(crossing_mm(first, second, d)),
            Course::right(2.0 * second - d, 200.0),
        ];
        let path = follow(&courses, round(d));
        let apart = path.placed[0].centre().unwrap().distance(path.placed[2].centre().unwrap());
        assert!((apart - (first + second + d)).abs() < 1e-9, "{apart}");
    }
}

#[test]
fn a_right_turn_mirrors_a_left_one_and_a_roll_lifts_it() {
    let wire = round(1.0);
    let left = follow(&[Course::left(4.0, 90.0)], wire).end;
    let right = follow(&[Course::right(4.0, 90.0)], wire).end;
    assert!((left.at - DVec3::new(2.5, 2.5, 0.0)).length() < 1e-12, "{}", left.at);
    assert!((right.at - DVec3::new(2.5, -2.5, 0.0)).length() < 1e-12, "{}", right.at);
    let up = Course::Bend { inside_mm: 4.0, angle_deg: 90.0, roll_deg: 90.0, rise_mm: 0.0 };
    assert!((follow(&[up], wire).end.at - DVec3::new(2.5, 0.0, 2.5)).length() < 1e-12);
}

proptest! {
    /// Followed forth and back, the wire comes home: the frame neither drifts nor shears.
    #[test]
    fn the_frame_stays_a_frame(angles in prop::collection::vec((5.0..350.0_f64, 0.0..360.0_f64), 1..12)) {
        let courses: Vec<Course> = angles
            .iter()
            .map(|(angle_deg, roll_deg)| Course::Bend { inside_mm: 3.0, angle_deg: *angle_deg, roll_deg: *roll_deg, rise_mm: 0.0 })
            .collect();
        let end = follow(&courses, round(1.0)).end;
        let product = end.axes * end.axes.transpose();
        prop_assert!((product - glam::DMat3::IDENTITY).to_cols_array().iter().all(|x| x.abs() < 1e-9));
        prop_assert!((end.axes.determinant() - 1.0).abs() < 1e-9);
    }

    /// Distance of two stretches against a dense search.
    #[test]
    fn stretches_are_as_far_apart_as_their_nearest_points(c in prop::array::uniform12(-3.0..3.0_f64)) {
        let p = |i: usize| DVec3::new(c[i], c[i + 1], c[i + 2]);
        let (a, b, s, t) = (p(0), p(3), p(6), p(9));
        let found = segments_apart(a, b, s, t);
        let mut least = f64::INFINITY;
        for i in 0..=60 {
            for j in 0..=60 {
                let (u, v) = (f64::from(i) / 60.0, f64::from(j) / 60.0);
                least = least.min(a.lerp(b, u).distance(s.lerp(t, v)));
            }
        }
        prop_assert!(found <= least + 1e-9 && least - found < 0.25, "{found} for {least}");
    }
}

/// What a bend is let go to from the radius that was worked out for it is the radius wanted.
#[rstest]
#[case(Metal::SterlingSilver, Temper::HalfHard, Section::Round, 0.8118)]
#[case(Metal::Copper, Temper::Soft, Section::Square, 1.0)]
#[case(Metal::StainlessSteel, Temper::Spring, Section::Round, 0.5)]
#[case(Metal::Brass, Temper::Hard, Section::HalfRound, 2.0)]
fn bends_spring_back_to_what_was_wanted(
    #[case] metal: Metal,
    #[case] temper: Temper,
    #[case] section: Section,
    #[case] size_mm: f64,
) {
    let bending = Bending::of(&Wire { metal, section, size_mm, temper, surface: Surface::Bare, lot: None });
    for radius in [1.0, 2.5, 6.0] {
        let wound = bending.wound_radius(radius).unwrap();
        assert!(wound < radius);
        let left = bending.relaxed(1.0 / wound);
        assert!((1.0 / left - radius).abs() < 1e-9 * radius, "{wound} leaves {} for {radius}", 1.0 / left);
    }
}

const D: f64 = 1.0;

fn coil(pitch_mm: f64) -> Vec<Course> {
    vec![Course::Wrap { core_mm: 4.0, turns: 4.0, pitch_mm, roll_deg: 90.0 }]
}

/// Made-up pieces that run through themselves: each must be found.
#[rstest]
#[case::crossing_flat(vec![Course::straight(10.0), Course::left(4.0, 270.0), Course::straight(10.0)])]
#[case::coil_laid_too_close(coil(0.9))]
#[case::spiral_laid_too_close(vec![Course::Spiral { inner_mm: 2.0, turns: 3.0, pitch_mm: 0.9, roll_deg: 0.0 }])]
#[case::loop_rolled_past_closing(vec![Course::straight(10.0), Course::left(3.0, 352.0)])]
#[case::passing_too_low(vec![
    Course::straight(10.0),
    Course::Bend { inside_mm: 4.0, angle_deg: 270.0, roll_deg: 0.0, rise_mm: 0.7 },
    Course::straight(10.0),
])]
#[case::legs_of_a_fold(vec![Course::straight(10.0), Course::left(1.0, 200.0), Course::straight(10.0)])]
#[case::hook_onto_its_shank(vec![Course::straight(12.0), Course::right(5.0, 180.0), Course::straight(4.0), Course::right(2.0, 120.0), Course::straight(5.0)])]
#[case::wrap_round_a_core_of_less_than_its_own(vec![
    Course::straight(8.0),
    Course::Bend { inside_mm: D, angle_deg: 90.0, roll_deg: 0.0, rise_mm: 0.0 },
    Course::Wrap { core_mm: 0.6, turns: 2.0, pitch_mm: D, roll_deg: -90.0 },
])]
fn wire_through_wire_is_found(#[case] courses: Vec<Course>) {
    assert!(!through_itself(&follow(&courses, round(D))).is_empty());
}

/// Near misses that only touch, or pass over: none may be reported.
#[rstest]
#[case::close_coil(coil(D))]
#[case::close_spiral(vec![Course::Spiral { inner_mm: 2.0, turns: 3.0, pitch_mm: D, roll_deg: 0.0 }])]
#[case::loop_closed_on_its_stem(vec![Course::straight(10.0), Course::left(3.0, on_stem_deg(3.0, D, D))])]
#[case::passing_over(vec![
    Course::straight(10.0),
    Course::Bend { inside_mm: 4.0, angle_deg: 270.0, roll_deg: 0.0, rise_mm: D },
    Course::straight(10.0),
])]
#[case::folded_flat(vec![Course::straight(10.0), Course::left(0.0, 180.0), Course::straight(10.0)])]
#[case::open_hook(vec![Course::straight(12.0), Course::right(5.0, 180.0), Course::straight(9.0)])]
fn wire_that_only_touches_is_not_reported(#[case] courses: Vec<Course>) {
    assert_eq!(through_itself(&follow(&courses, round(D))), vec![]);
}
