//! Ways of making that change what is cut, the order of steps, or who comes first at the spool.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{ring_of, usual};
use lorimant_core::bench::{Batch, Event, EventKind};
use lorimant_core::chain::ChainRequest;
use lorimant_core::making::workpiece::ClosedBy;
use lorimant_core::making::{Changes, Operation};
use lorimant_core::pattern::PatternRequest;
use lorimant_core::piece::Piece;
use lorimant_core::ring::RingRequest;
use lorimant_core::shape::Course;
use lorimant_core::tool::cutting::{Cutting, Method};
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::method::{CutWhen, Methods, NeckWhen};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::bending::Bending;
use lorimant_core::wire::metal::Metal;
use rstest::rstest;

fn made_by(methods: Methods) -> Workshop {
    Workshop { methods, ..Workshop::default() }
}

fn operations(request: &PatternRequest, shop: &Workshop) -> Vec<Operation> {
    request.finished(shop).unwrap().made.steps.iter().map(|step| step.operation).collect()
}

/// Inside that soft copper of 0.7 mm is left with on a diameter: 1/R1 = 1/R0 − M/EI.
fn left_on(diameter_mm: f64) -> f64 {
    let bending = Bending::of(&usual("coil-cap").wire);
    2.0 * (1.0 / bending.relaxed(1.0 / (diameter_mm / 2.0 + 0.35)) - 0.35)
}

/// A rod that is named makes the coil: sixteen turns and the bail are cut as wide as that rod leaves them.
#[test]
fn a_coil_cap_is_cut_as_its_rod_makes_it() {
    let request = usual("coil-cap");
    let nothing_owned = Workshop::default();
    let drawn = request.finished(&nothing_owned).unwrap();
    let shop = Workshop { rods: vec![Mandrel::round(3.1)], ..Workshop::default() };
    let finished = request.finished(&shop).unwrap();
    let wound = finished.made.steps.iter().find(|step| step.operation == Operation::Coil).unwrap();
    assert!(wound.text.contains("3.1 mm rod") && wound.unfit.is_none(), "{}", wound.text);
    let left = left_on(3.1);
    assert!(
        (wound.numbers.inside_mm.unwrap() - left).abs() < 1e-6,
        "{:?} for {left}",
        wound.numbers.inside_mm
    );
    let Course::Wrap { core_mm, turns, .. } = finished.formed.design.segments[0].course else { panic!() };
    assert!((core_mm - left).abs() < 1e-9 && turns == 16.0);
    // Each turn takes π times as much less.
    let less = drawn.formed.wire_mm[0] - finished.formed.wire_mm[0];
    let expected = 16.0 * std::f64::consts::PI * (3.2 - left);
    assert!((less - expected).abs() < 0.01, "{less} for {expected}");
    assert!(drawn.blank.flush_mm - finished.blank.flush_mm > 0.9 * less, "it is in what is cut");
}

#[test]
fn a_coil_cap_is_wound_on_the_cord_itself() {
    let request = PatternRequest { parameters: [("wound_on".to_owned(), 1.0)].into(), ..usual("coil-cap") };
    let finished = request.finished(&Workshop::default()).unwrap();
    let wound = finished.made.steps.iter().find(|step| step.operation == Operation::Coil).unwrap();
    assert!(wound.text.contains("3 mm cord"), "{}", wound.text);
    assert!((wound.numbers.inside_mm.unwrap() - left_on(3.0)).abs() < 1e-6);
    assert!(finished.checks(&Workshop::default()).iter().all(|check| check.ok));
}

#[test]
fn a_coil_cap_is_fused_where_its_metal_can_be() {
    let route: Changes = serde_json::from_str(
        r#"{"with": [{"operation": "flux", "after": "coil"}, {"operation": "fuse", "after": "flux"},
            {"operation": "quench", "after": "fuse"}]}"#,
    )
    .unwrap();
    let mut request = PatternRequest { route, ..usual("coil-cap") };
    assert_eq!(request.joins_after(), Some(Operation::Coil));
    request.wire.metal = Metal::FineSilver;
    let finished = request.finished(&Workshop::default()).unwrap();
    assert_eq!(finished.made.finished().unwrap().joined, Some(ClosedBy::Fused));
    request.wire.metal = Metal::Copper;
    assert!(request.finished(&Workshop::default()).is_err(), "copper does not fuse to itself");
}

/// Off the spool it is wound first and clipped after; as much is cut.
#[test]
fn a_coil_cap_is_wound_off_the_spool() {
    let request = usual("coil-cap");
    let first = request.finished(&Workshop::default()).unwrap();
    let shop = made_by(Methods { cut: CutWhen::OnSpool, ..Methods::default() });
    let steps = operations(&request, &shop);
    let at = |operation| steps.iter().position(|one| *one == operation).unwrap();
    assert!(
        at(Operation::Coil) < at(Operation::Cut) && at(Operation::Cut) < at(Operation::Lift),
        "{steps:?}"
    );
    let finished = request.finished(&shop).unwrap();
    assert_eq!(finished.blank.flush_mm, first.blank.flush_mm);
    let cut = finished.made.steps.iter().find(|step| step.operation == Operation::Cut).unwrap();
    assert!(cut.text.contains("Clip the wire where the last turn ends"), "{}", cut.text);
}

/// What hangs on the spool goes on to the cut before the next is begun.
#[test]
fn one_piece_at_a_time_hangs_on_the_spool() {
    let batch = Batch::of("pins", Piece::Finding(usual("eye-pin")), 6);
    let tasks = batch.tasks(&Workshop::default()).unwrap();
    let cut = tasks.iter().position(|task| task.step.operation == Operation::Cut).unwrap();
    let first = tasks.iter().position(|task| task.step.operation == Operation::Loop).unwrap();
    assert!(first < cut);
    let mut events: Vec<Event> = vec![];
    let mut n = 0;
    let mut press = |events: &mut Vec<Event>, at: usize, pieces: u32| {
        n += 1;
        let event = Event {
            key: format!("press-{n:04}"),
            step_n: u32::try_from(at).unwrap() + 1,
            kind: EventKind::Done,
            n: pieces,
            reason: String::new(),
            at: "2026-03-02T18:00:00Z".parse().unwrap(),
        };
        let allowed = batch.may_happen(&tasks, &batch.progress(&tasks, events), &event);
        if allowed.is_ok() {
            events.push(event);
        }
        allowed
    };
    for at in 0..first {
        press(&mut events, at, 1).unwrap();
    }
    for piece in 0..6 {
        assert_eq!(batch.progress(&tasks, &events).at, Some(first), "piece {piece} is begun");
        let several = press(&mut events, first, 2);
        assert!(several.is_err(), "two cannot hang on one spool");
        for at in first..=cut {
            assert_eq!(batch.progress(&tasks, &events).at, Some(at));
            press(&mut events, at, 1).unwrap();
            if at < cut && piece < 5 {
                let next = press(&mut events, first, 1).unwrap_err();
                assert!(
                    next.message.contains("One piece is still on the spool. Finish it and cut it first"),
                    "{next:?}"
                );
            }
        }
    }
    let progress = batch.progress(&tasks, &events);
    assert!(progress.tasks[..=cut].iter().all(|task| task.left_n == 0), "{:?}", progress.at);
}

#[rstest]
#[case::eye_pin("eye-pin", Methods { neck: NeckWhen::First, ..Methods::default() }, Operation::Bend, Operation::Loop)]
#[case::as_usual("eye-pin", Methods::default(), Operation::Loop, Operation::Bend)]
#[case::tips_first("open-ear-wire", Methods::default(), Operation::Round, Operation::Hammer)]
#[case::hammer_first("open-ear-wire", Methods { hammer_first: true, ..Methods::default() }, Operation::Hammer, Operation::Round)]
fn steps_come_in_the_order_of_the_method(
    #[case] kind: &str,
    #[case] methods: Methods,
    #[case] first: Operation,
    #[case] then: Operation,
) {
    let steps = operations(&usual(kind), &made_by(methods));
    let at = |operation| steps.iter().position(|one| *one == operation).unwrap();
    assert!(at(first) < at(then), "{steps:?}");
}

/// A neck that follows its loop is set back where the loop meets the stem: no ruler reaches its start by then.
#[test]
fn a_neck_is_not_measured_from_an_end_that_is_rolled_up() {
    for methods in [Methods::default(), Methods { neck: NeckWhen::After, ..Methods::default() }] {
        let finished = usual("eye-pin");
        let finished = finished.finished(&made_by(methods)).unwrap();
        let neck = finished.made.steps.iter().find(|step| step.what == "neck").unwrap();
        assert!(neck.text.contains("Where the loop meets the stem, bend it back"), "{}", neck.text);
    }
}

/// Bends of folded wire are measured from the fold, since its ends are trimmed to each other later.
#[test]
fn folded_wire_is_measured_from_its_fold() {
    let request = usual("folded-pair");
    let finished = request.finished(&Workshop::default()).unwrap();
    let crowns = finished.made.steps.iter().find(|step| step.what == "both crowns").unwrap();
    assert!(crowns.text.contains("from the fold"), "{}", crowns.text);
    let (fold, crown) = (
        finished.formed.design.segments.iter().position(|s| s.what == "fold").unwrap(),
        finished.formed.design.segments.iter().position(|s| s.what == "crown").unwrap(),
    );
    let expected = finished.spans[fold].0 - finished.spans[crown].1;
    assert!((crowns.numbers.at_mm.unwrap() - expected).abs() < 1e-9);
}

/// Two turns a bite are half as many bites; thick wire goes one by one.
#[rstest]
#[case(0.8, 100, 50)]
#[case(0.8, 101, 51)]
#[case(1.5, 100, 100)]
fn shears_are_counted_by_the_bite(#[case] size_mm: f64, #[case] rings_n: u32, #[case] bites_n: u32) {
    let cutting = Cutting { method: Method::Shears, ..Cutting::default() };
    let request = RingRequest { rings_n, cutting, ..ring_of(size_mm, 5.0) };
    let finished = request.finished(&Workshop::default()).unwrap();
    let cut = finished.made.steps.iter().find(|step| step.operation == Operation::Shear).unwrap();
    assert_eq!(cut.numbers.times_n, Some(bites_n), "{}", cut.text);
}

#[test]
fn the_rings_of_a_chain_are_shut_beforehand_or_on_the_way() {
    let request = ChainRequest::new("byzantine", ring_of(1.2, 5.0), 200.0);
    let steps = |shop: &Workshop| request.finished(shop).unwrap().rings.made.steps;
    let has = |steps: &[lorimant_core::making::Step]| {
        steps.iter().any(|step| step.operation == Operation::ShutBefore)
    };
    assert!(has(&steps(&Workshop::default())));
    let on_the_way = steps(&made_by(Methods { close_while_building: true, ..Methods::default() }));
    assert!(!has(&on_the_way));
    let link = on_the_way.iter().find(|step| step.operation == Operation::Link).unwrap();
    assert!(link.text.contains("as you come to them"), "{}", link.text);
}

/// Several rings alike are wound, not bent one by one: the coil leaves the rings that are drawn.
#[rstest]
#[case("round-ring", 5.0, 5.0)]
#[case("oval-ring", 7.0, 4.5)]
#[case("shaped-ring", 8.0, 8.0)]
fn rings_of_a_finding_are_planned_as_a_coil(#[case] kind: &str, #[case] across: f64, #[case] short: f64) {
    let request = PatternRequest { pieces_n: 20, ..usual(kind) };
    let coil = request.as_coil(&Workshop::default()).unwrap();
    let plan = coil.finished(&Workshop::default()).unwrap().plan;
    assert!((plan.ring_inside_diameter_mm - across).abs() < 0.02, "{}", plan.ring_inside_diameter_mm);
    assert!((plan.ring_inside_short_mm - short).abs() < 0.05, "{}", plan.ring_inside_short_mm);
    assert_eq!(coil.rings_n, 20);
}
