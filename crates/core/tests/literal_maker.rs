//! A maker who reads only the numbers: each length, mark, tool and angle as it stands, the wire let go by the
//! mechanics. What comes out must be the drawing.
#![allow(clippy::unwrap_used, clippy::panic, missing_docs)]

use std::f64::consts::PI;

use crate::common::hands::{Hands, followed};
use crate::common::{bench, kinds, usual};
use glam::{DMat3, DVec3};
use lorimant_core::making::run::{From, Turn};
use lorimant_core::making::{Changes, Inserted, Made, Operation, Step};
use lorimant_core::pattern::{Kind, PatternRequest, Unit};
use lorimant_core::ring::{RingRequest, Winding};
use lorimant_core::shape::path::{Curve, Frame};
use lorimant_core::tool::coil::Coil;
use lorimant_core::tool::cutting::{Cutting, Method};
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::method::{CutWhen, FlatTo, Hardening, Methods, Straightening, WrapTail};
use lorimant_core::tool::outline::Outline;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::bending::Bending;
use lorimant_core::wire::metal::{Balls, Metal, Temper};
use lorimant_core::wire::section::Section;
use lorimant_core::wire::surface::Surface;
use lorimant_core::words::length::{LengthUnit, ruler_mark_mm};
use proptest::prelude::*;
use rstest::rstest;

/// How far the piece that was made is off the drawn one: mm, degrees.
fn off(request: &PatternRequest, made: &Made, methods: Methods, shop: &Workshop) -> (f64, f64) {
    let formed = request.form().unwrap().by(methods);
    let blank = formed.blank(shop.habits.unit);
    let mut hands = Hands::with(&request.wire, false);
    made.steps.iter().for_each(|step| hands.does(step));
    let (starts, ends) = (blank.starts_mm, hands.blank_mm - blank.right_filing_mm - hands.off.1);
    let mut pieces = hands.shape(starts, ends);
    pieces.retain(|(_, curve)| curve.length() > 1e-6);
    let made_places = followed(pieces.iter().map(|(_, curve)| *curve), Frame::default());
    // Straight stretches that follow each other are one to a maker.
    let mut drawn: Vec<Curve> = vec![];
    for placed in formed.path.placed.iter().filter(|placed| placed.length_mm > 1e-6) {
        match (drawn.last_mut(), placed.curve) {
            (Some(Curve::Line { length }), Curve::Line { length: more }) => *length += more,
            (_, curve) => drawn.push(curve),
        }
    }
    let drawn_places = followed(drawn.into_iter(), Frame::default());
    assert_eq!(made_places.len(), drawn_places.len(), "{}: {:?}", request.kind.0.kind, pieces);
    let flip =
        if request.mirrored { DMat3::from_diagonal(DVec3::new(1.0, -1.0, 1.0)) } else { DMat3::IDENTITY };
    let apart = made_places.iter().zip(&drawn_places).map(|((a, t), (b, u))| {
        let cos = t.dot(flip * *u).clamp(-1.0, 1.0);
        ((*a - flip * *b).length(), cos.acos().to_degrees())
    });
    apart.fold((0.0, 0.0), |worst, one| (f64::max(worst.0, one.0), f64::max(worst.1, one.1)))
}

/// A step with its numbers as they are printed: lengths and places to the ruler's half millimetre, so the jaw's as well.
fn printed(step: &Step) -> Step {
    let mut step = step.clone();
    let numbers = &mut step.numbers;
    let on_ruler = |mm: f64| ruler_mark_mm(mm, LengthUnit::Mm);
    if step.operation == Operation::Cut {
        numbers.length_mm = numbers.on_ruler_mm.map(|mm| {
            mm + numbers.length_mm.unwrap() - numbers.left_mm.unwrap_or(numbers.length_mm.unwrap())
        });
    }
    numbers.at_mm = numbers.at_mm.map(|mm| if mm < 0.25 { mm } else { on_ruler(mm) });
    if step.text.contains("both ends level") {
        numbers.at_mm = None;
    }
    if let (Some(jaw), Some(slip)) = (numbers.jaw_mm, numbers.slip_mm) {
        numbers.tool_mm = numbers.tool_mm.map(|mm| mm + slip * (on_ruler(jaw) - jaw));
    }
    step
}

/// How long the piece is that comes of the printed numbers alone, less how long it is drawn, mm.
fn longer_by_the_print(request: &PatternRequest, made: &Made, shop: &Workshop) -> f64 {
    let formed = request.form().unwrap().by(shop.methods);
    let blank = formed.blank(shop.habits.unit);
    let mut hands = Hands::with(&request.wire, true);
    made.steps.iter().map(printed).for_each(|step| hands.does(&step));
    let (starts, ends) = (blank.starts_mm, hands.blank_mm - blank.right_filing_mm - hands.off.1);
    let made_of = hands.shape(starts, ends);
    let across = |places: Vec<(DVec3, DVec3)>| {
        let each = places.iter().flat_map(|(a, _)| places.iter().map(move |(b, _)| a.distance(*b)));
        each.fold(0.0, f64::max)
    };
    let drawn = formed.path.placed.iter().filter(|placed| placed.length_mm > 1e-6).map(|placed| placed.curve);
    across(followed(made_of.iter().map(|(_, curve)| *curve), Frame::default()))
        - across(followed(drawn, Frame::default()))
}

/// Who has only a steel ruler and the printed numbers makes every piece within what the ruler shows, and none of them always
/// too long or too short.
#[test]
fn the_printed_numbers_make_the_piece() {
    let shop = bench();
    for kind in Kind::all() {
        let mut off = vec![];
        for n in 0..60 {
            let mut request = PatternRequest::usual(kind);
            request.wire.size_mm *= 0.85 + 0.005 * f64::from(n);
            let Some(made) = make(&request, Methods::default(), &shop) else { continue };
            off.push(longer_by_the_print(&request, &made, &shop));
        }
        let worst = off.iter().fold(0.0, |worst: f64, one| worst.max(one.abs()));
        #[expect(clippy::cast_precision_loss, reason = "60")]
        let mean = off.iter().sum::<f64>() / off.len() as f64;
        println!("{}: worst {worst:.3}, mean {mean:.3} of {}", kind.0.kind, off.len());
        assert!(worst < 1.0, "{}: {worst} mm off", kind.0.kind);
        assert!(mean.abs() < 0.3, "{}: {mean} mm off on the average", kind.0.kind);
    }
}

fn methods() -> impl Strategy<Value = Methods> {
    let cut = proptest::sample::select(CutWhen::ALL);
    let any = (any::<bool>(), 1..20_u32, any::<bool>(), any::<bool>(), cut, any::<bool>(), 1.0..12.0_f64);
    any.prop_map(|(pulled, pulls_n, spool, barrel, cut, gripped, long_mm)| Methods {
        cut,
        long_mm,
        wrap_tail: if gripped { WrapTail::Gripped } else { WrapTail::Held },
        straightening: match (pulled, gripped) {
            (true, true) => Straightening::AfterCutting,
            (true, false) => Straightening::Pulls,
            _ => Straightening::Fingers,
        },
        pulls_n,
        flat_to: if spool { FlatTo::Spool } else { FlatTo::Piece },
        hardening: if barrel { Hardening::Tumble } else { Hardening::Mallet },
        ..Methods::default()
    })
}

fn make(request: &PatternRequest, methods: Methods, shop: &Workshop) -> Option<Made> {
    Some(request.form().ok()?.by(methods).made(&Changes::default(), shop).unwrap())
}

/// A finding of any kind, in any metal and temper, each dimension somewhere about its usual.
fn finding() -> impl Strategy<Value = PatternRequest> {
    let shares = proptest::collection::vec(0.85..1.2_f64, 12);
    let metals = proptest::sample::select(Metal::ALL);
    let tempers = proptest::sample::select(vec![Temper::Soft, Temper::QuarterHard, Temper::HalfHard]);
    (kinds(), metals, tempers, 0.8..1.25_f64, shares, any::<bool>()).prop_map(
        |(kind, metal, temper, size, shares, mirrored)| {
            // An oval is the same in a mirror.
            let mirrored = mirrored && kind.0.kind != "oval-ring";
            let mut request = PatternRequest { mirrored, ..PatternRequest::usual(kind) };
            // What must not be melted gets no ball.
            let melted = kind.0.kind == "balled-head-pin" && metal.figures().balls == Balls::Never;
            let metal = if melted { Metal::Copper } else { metal };
            request.wire = Wire { metal, temper, size_mm: request.wire.size_mm * size, ..request.wire };
            for (parameter, share) in kind.0.parameters.iter().zip(shares) {
                let value = match (parameter.name, share > 1.0) {
                    // Hammered to between two thirds and nearly all of the wire, or left round.
                    ("hammered_mm" | "ends_mm", true) => (1.6 - 0.8 * share) * request.wire.size_mm,
                    ("hammered_mm" | "ends_mm" | "curl_mm", false) => continue,
                    // A tip is curled or kicked, not both.
                    ("curl_mm", true) => request.wire.size_mm * share * 1.5,
                    ("tip_deg", _) if request.parameters.contains_key("curl_mm") => continue,
                    _ if parameter.unit == Unit::Choice => f64::from(u8::from(share > 1.0)),
                    _ if parameter.default == 0.0 => continue,
                    _ => (parameter.usual_in(&request) * share).clamp(parameter.min, parameter.max),
                };
                if parameter.check(value).is_ok() {
                    request.parameters.insert(parameter.name.to_owned(), value);
                }
            }
            request
        },
    )
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(800))]

    #[test]
    fn who_follows_the_numbers_makes_the_drawing(request in finding(), methods in methods()) {
        let shop = Workshop::default();
        let Some(made) = make(&request, methods, &shop) else { return Ok(()) };
        let (mm, degrees) = off(&request, &made, methods, &shop);
        // Angles are whole degrees, half a degree off at most; what lengths are rounded by adds little to it.
        prop_assert!(mm < 0.05 && degrees < 0.6, "{} is {mm} mm and {degrees}° off", request.kind.0.kind);
        // Wire is neither made nor lost.
        let formed = request.form().unwrap().by(methods);
        let blank = formed.blank(shop.habits.unit);
        let left = made.finished().unwrap().length_mm;
        // A fold that is parted falls off.
        let parted = |step: &&Step| step.operation == Operation::Part;
        let fold: f64 = made.steps.iter().filter(parted).map(|step| step.takes.lost_mm()).sum();
        prop_assert!((left - (formed.developed_mm() - fold)).abs() < 1e-9);
        prop_assert!((left + made.lost_mm() - blank.exact_mm).abs() < 1e-9);
    }
}

#[test]
fn every_pattern_as_usual_is_made_by_its_numbers() {
    for kind in Kind::all() {
        let request = PatternRequest::usual(kind);
        let made = make(&request, Methods::default(), &Workshop::default()).unwrap();
        let (mm, degrees) = off(&request, &made, Methods::default(), &Workshop::default());
        assert!(mm < 0.01 && degrees < 0.1, "{} is {mm} mm and {degrees}° off", kind.0.kind);
    }
}

/// Mistakes in an instruction are seen by whoever follows it.
#[rstest]
#[case::a_mark_from_the_wrong_end("figure-eight", |step: &mut Step| {
    if step.what == "second loop" { step.numbers.from = Some(From::NearEnd); step.numbers.at_mm = Some(3.0); }
})]
#[case::no_overbend("hook-clasp", |step: &mut Step| {
    if step.operation == Operation::Bend { step.numbers.angle_to_deg = step.numbers.angle_left_deg; }
})]
#[case::one_turn_too_few("coil-cap", |step: &mut Step| {
    if let Some(turns) = step.numbers.turns_n.as_mut() { *turns -= 1.0; }
})]
#[case::the_other_way("s-clasp", |step: &mut Step| {
    if step.what == "second bend" {
        step.numbers.turn = step.numbers.turn.map(|turn| if turn == Turn::Left { Turn::Right } else { Turn::Left });
    }
})]
#[case::on_the_inside_instead_of_the_tool("open-ear-wire", |step: &mut Step| {
    if step.what == "crown" { step.numbers.tool_mm = step.numbers.inside_mm; }
})]
fn a_mistake_in_an_instruction_shows(#[case] kind: &str, #[case] mistake: fn(&mut Step)) {
    let request = usual(kind);
    let shop = Workshop::default();
    let mut made = make(&request, Methods::default(), &shop).unwrap();
    made.steps.iter_mut().filter(|step| step.operation != Operation::Cut).for_each(mistake);
    let seen = std::panic::catch_unwind(|| off(&request, &made, Methods::default(), &shop));
    // Bends that run into each other are a mistake seen as well.
    assert!(seen.is_err() || seen.is_ok_and(|(mm, degrees)| mm > 0.05 || degrees > 0.5));
}

/// Rings by the numbers: pulled, wound, let go, cut, shut.
fn ring_by_numbers(wire: &Wire, made: &Made) -> f64 {
    let mut spent = wire.temper.strain();
    let (mut inside, mut relaxed, mut taken) = (0.0, None, 0.0);
    let mut thick = wire.profile().thickness_mm();
    for step in &made.steps {
        let numbers = &step.numbers;
        match step.operation {
            Operation::Straighten => spent += 0.02 * f64::from(numbers.pulls_n.unwrap_or(0)),
            Operation::Anneal if relaxed.is_none() => spent = 0.0,
            Operation::Wind => {
                let rod = Outline::Round { diameter: numbers.tool_mm.unwrap() };
                relaxed = Coil::wind_with(&Bending::after(wire, spent), rod).map(|coil| coil.relaxed);
            }
            Operation::Saw => taken = numbers.kerf_mm.unwrap(),
            Operation::Snip | Operation::Shear => taken = numbers.length_mm.unwrap_or(0.0),
            Operation::Close => inside = relaxed.unwrap().across() - taken / PI,
            Operation::Hammer => {
                let to = numbers.thickness_mm.unwrap();
                let strain = (thick / to).ln();
                inside = (inside + thick) * (0.3 * strain).exp() - thick * (0.7 * strain).exp();
                thick = to;
            }
            _ => {}
        }
    }
    inside
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(300))]

    #[test]
    fn who_follows_a_ring_plan_has_its_ring(
        metal in proptest::sample::select(Metal::ALL),
        temper in proptest::sample::select(vec![Temper::Soft, Temper::HalfHard, Temper::Hard]),
        size_mm in 0.5..2.0_f64,
        ratio in 2.5..8.0_f64,
        winding in proptest::sample::select(Winding::ALL),
        method in proptest::sample::select(Method::ALL),
        filed in any::<bool>(),
        methods in methods(),
        rings_n in 1..500_u32,
    ) {
        let wire = Wire { metal, temper, size_mm, section: Section::Round, surface: Surface::Bare, lot: None };
        let cutting = Cutting { method, filed, ..Cutting::default() };
        let request = RingRequest {
            winding,
            cutting,
            ..RingRequest::new(wire.clone(), Mandrel::round(ratio * size_mm), rings_n)
        };
        let Ok(made) = request.made(&methods, &Changes::default(), &Workshop::default()) else { return Ok(()) };
        let last = made.finished().unwrap();
        let inside = last.inside_mm.unwrap();
        prop_assert!((ring_by_numbers(&wire, &made) - inside).abs() < 1e-6);
        prop_assert_eq!(last.pieces_n, rings_n);
        if methods.straightening == Straightening::Fingers {
            let plan = request.plan().unwrap();
            prop_assert!((inside - plan.ring_inside_diameter_mm).abs() < 1e-9);
            // What comes off the spool is in the rings, in dust, slivers and tails.
            let there = f64::from(last.pieces_n) * last.length_mm + made.lost_mm();
            prop_assert!((there / plan.wire_length_mm - 1.0).abs() < 1e-9, "{there} {}", plan.wire_length_mm);
        }
        // Strain never falls but by heat.
        for pair in made.steps.windows(2) {
            let spent = |step: &Step| step.workpiece.stretches.first().map_or(0.0, |s| s.strain);
            prop_assert!(spent(&pair[1]) >= spent(&pair[0]) - 1e-12 || pair[1].operation == Operation::Anneal);
        }
    }
}

/// Figures of an independent program, handbook metals.
#[rstest]
#[case(Metal::Copper, 1.0237, 5.0, 12, None, 5.1133)]
#[case(Metal::Copper, 1.0237, 5.0, 0, None, 5.0641)]
#[case(Metal::SterlingSilver, 0.8118, 4.0, 10, None, 4.1705)]
#[case(Metal::Aluminium, 2.0, 12.0, 0, Some(1.4), 13.1539)]
#[case(Metal::Copper, 1.2908, 8.0, 0, Some(0.9), 8.8161)]
fn rings_pulled_and_hammered(
    #[case] metal: Metal,
    #[case] size_mm: f64,
    #[case] rod_mm: f64,
    #[case] pulls_n: u32,
    #[case] to_mm: Option<f64>,
    #[case] wanted_mm: f64,
) {
    let wire = Wire::round(metal, size_mm, Temper::Soft);
    let cutting = Cutting { method: Method::SingleSnip, ..Cutting::default() };
    let request = RingRequest { cutting, ..RingRequest::new(wire, Mandrel::round(rod_mm), 10) };
    let straightening = if pulls_n > 0 { Straightening::Pulls } else { Straightening::Fingers };
    let methods = Methods { straightening, pulls_n: pulls_n.max(1), ..Methods::default() };
    let hammer = |to_mm| Inserted {
        to_mm: Some(to_mm),
        after: Some(Operation::Close),
        ..Inserted::of(Operation::Hammer)
    };
    let changes = Changes { with: to_mm.map(hammer).into_iter().collect(), ..Changes::default() };
    let made = request.made(&methods, &changes, &Workshop::default()).unwrap();
    let inside = made.finished().unwrap().inside_mm.unwrap();
    assert!((inside - wanted_mm).abs() < 0.003, "{inside}");
}
