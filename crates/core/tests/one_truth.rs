//! One piece, one set of numbers: whoever tells of it tells the same, whatever the piece, its wire, how it is made and the
//! unit that is read.
#![allow(clippy::unwrap_used, missing_docs)]

use jiff::civil::date;
use lorimant_core::ask::answer;
use lorimant_core::bench::Batch;
use lorimant_core::chain::ChainRequest;
use lorimant_core::making::run::From;
use lorimant_core::making::{Changes, Operation, Step};
use lorimant_core::order::{Bag, Covered, Line, Order, cover, to_begin};
use lorimant_core::pattern::mark::Mark;
use lorimant_core::pattern::sheet::measured;
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::piece::Piece;
use lorimant_core::rack::cost::CostStart;
use lorimant_core::rack::cut_plan::picked::{Picked, by_wire};
use lorimant_core::rack::stock::price::Rack;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::cutting::{Cutting, Method};
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::method::Methods;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::words::length::{Habits, LengthUnit, on_ruler, pull};
use rstest::rstest;

use crate::common::{bench, ways};

fn wires() -> [Wire; 5] {
    [
        Wire::round(Metal::Copper, 1.0, Temper::Soft),
        Wire::round(Metal::SterlingSilver, 0.8, Temper::HalfHard),
        Wire::round(Metal::Brass, 1.3, Temper::QuarterHard),
        Wire::round(Metal::FineSilver, 1.0237, Temper::Soft),
        Wire::round(Metal::StainlessSteel, 0.7, Temper::Soft),
    ]
}

fn shop(methods: Methods, unit: LengthUnit) -> Workshop {
    Workshop { methods, habits: Habits { unit, ..Habits::default() }, ..bench() }
}

fn bag_of(piece: &Piece) -> Bag {
    Bag {
        name: "the bag".to_owned(),
        piece: piece.clone(),
        methods: None,
        changes: Changes::default(),
        workshop: None,
        batch: None,
        filled_on: date(2026, 3, 2),
        place: String::new(),
        n: 4,
        note: String::new(),
    }
}

fn batch_of(piece: &Piece) -> Batch {
    Batch {
        name: "the batch".to_owned(),
        piece: piece.clone(),
        methods: None,
        changes: Changes::default(),
        workshop: None,
        note: String::new(),
    }
}

/// Minutes at the bench of setting up and of one, by the route, the cost and the tasks of a batch.
fn minutes_agree(piece: &Piece, workshop: &Workshop, at: &str) {
    let route = piece.route(workshop).unwrap();
    let totals = &route.totals;
    let cost = CostStart::of(piece, &Rack::default(), rust_decimal::Decimal::ONE, workshop).unwrap().request;
    let tenths = |minutes: f64| (minutes * 10.0).round() / 10.0;
    assert_eq!(cost.setting_up_minutes, tenths(totals.setting_up_min), "{at}");
    if !matches!(piece, Piece::Chain(_)) {
        assert_eq!(cost.minutes, tenths(totals.each_min), "{at}");
    }
    let tasks = batch_of(piece).tasks(workshop).unwrap();
    let hands: f64 = tasks.iter().map(|task| task.hands_min).sum();
    assert!((hands - totals.hands_min).abs() < 1e-6, "{at}: {hands} for {}", totals.hands_min);
    // The schedule lays the same minutes into its sessions.
    let line = Line { name: "it".to_owned(), piece: piece.clone(), spares_percent: 0.0, handed_n: 0 };
    let order = Order { customer: "stall".to_owned(), due: None, note: String::new(), lines: vec![line] };
    let lines = &cover(&[&order], &[], &[], workshop)[0];
    let (wanted, unmet) = to_begin(&[Covered { id: 1, order: &order, lines }], workshop);
    assert!(unmet.is_empty(), "{at}: {unmet:?}");
    assert!((wanted[0].progress.left_min - totals.hands_min).abs() < 1e-6, "{at}: the schedule");
}

#[rstest]
fn a_finding_is_told_alike_everywhere(#[values(LengthUnit::Mm, LengthUnit::Inch)] unit: LengthUnit) {
    for kind in Kind::all() {
        for wire in wires() {
            let usual = PatternRequest::usual(kind);
            let Ok(carried) = usual.carried_to(&wire) else { continue };
            for methods in ways() {
                finding_agrees(&PatternRequest { pieces_n: 4, ..carried.clone() }, methods, unit);
            }
        }
    }
}

/// What the maker is told to mark is what the strip shows as marks, each once; a fold is marked by its middle, and what is
/// bent after it is measured from there.
fn marks_agree(steps: &[Step], marks: &[Mark], at: &str, unit: LengthUnit) {
    let told = steps.iter().find(|step| step.operation == Operation::Mark).map_or("", |step| &step.text);
    // A fold is marked by its middle, and what is bent of folded wire is measured from it.
    let folds = |mark: &&Mark| {
        let fold =
            steps.iter().any(|step| step.step_n == mark.forming_n && step.operation == Operation::Fold);
        fold || matches!(mark.from, From::Fold | From::Parted)
    };
    if measured(marks).any(|mark| folds(&mark)) {
        assert!(told.contains("Mark the middle of the fold"), "{at}: {told}");
    }
    let cut = steps.iter().position(|step| step.operation == Operation::Cut).unwrap();
    // What is bent behind an end that was cut long is measured once that is trimmed.
    let trimmed = |n: usize| {
        let mut before = steps.iter().filter(|step| step.step_n < n && step.operation == Operation::Trim);
        before.any(|step| step.numbers.left_mm.is_some())
    };
    let first = |mark: &&Mark| mark.forming_n > cut + 1 && !trimmed(mark.forming_n) && !folds(mark);
    for mark in measured(marks).filter(first) {
        assert!(told.contains(&mark.ruler), "{at}: {} of the {} is not in “{told}”", mark.ruler, mark.what);
    }
    let told_n = told.matches(unit.shown()).count();
    assert!(told_n <= measured(marks).count(), "{at}: {told_n} marks in “{told}”");
}

fn finding_agrees(request: &PatternRequest, methods: Methods, unit: LengthUnit) {
    let workshop = shop(methods, unit);
    let at = format!("{} of {} by {methods:?}", request.kind.0.kind, request.wire.shown(unit));
    // What cannot be made is refused everywhere.
    let Some(worked) = request.sheet(&workshop).result else { return };
    let piece = Piece::Finding(request.clone());
    let cut_mm = worked.form.blank.flush_mm;
    let cut = on_ruler(cut_mm, unit);
    let figure = worked.figures.iter().find(|figure| figure.key == "blank").unwrap();
    assert_eq!(figure.first(unit), cut, "{at}: the sheet's figure");
    marks_agree(&worked.form.steps, &worked.form.marks, &at, unit);
    for mark in measured(&worked.form.marks) {
        assert!(
            worked.marks_text.contains(&mark.ruler),
            "{at}: {} is not in “{}”",
            mark.ruler,
            worked.marks_text
        );
    }
    let step = worked.form.steps.iter().find(|step| step.operation == Operation::Cut).unwrap();
    // What is rolled on the spool first is measured from its bend, and so says another number.
    let on_spool = step.numbers.left_mm.is_some();
    if !on_spool {
        assert!(step.text.contains(&cut), "{at}: the step says {}", step.text);
        let tasks = batch_of(&piece).tasks(&workshop).unwrap();
        let task = tasks.iter().find(|task| task.step.operation == Operation::Cut).unwrap();
        assert_eq!(task.number, cut, "{at}: the bench");
        assert_eq!(task.off_the_spool_mm, Some(worked.form.blank.cut_mm), "{at}: off the spool");
    }
    let tile = piece.thumbnail(&workshop).unwrap().cut;
    assert!(tile.starts_with(&format!("cut {cut}, ")), "{at}: the tile says {tile}");
    let label = bag_of(&piece).label(&workshop);
    let row = label.rows.iter().find(|(title, _)| *title == "cut").unwrap();
    assert_eq!(row.1, cut, "{at}: the label");
    let blanks = piece.blanks(&workshop).unwrap();
    assert_eq!(
        (blanks.flush_mm, blanks.length_mm),
        (cut_mm, worked.form.blank.cut_mm),
        "{at}: the cutting plan"
    );
    let picked = [Picked { what: "it".to_owned(), piece: piece.clone() }];
    let demand = &by_wire(&picked, &[], &workshop).unwrap()[0].demand[0];
    assert_eq!(
        (demand.ruler_mm, demand.length_mm),
        (Some(cut_mm), worked.form.blank.cut_mm),
        "{at}: what is needed"
    );
    minutes_agree(&piece, &workshop, &at);
}

/// The ask line's headline and the sheet it opens.
#[rstest]
fn the_ask_line_says_what_the_sheet_says(#[values(LengthUnit::Mm, LengthUnit::Inch)] unit: LengthUnit) {
    for methods in ways() {
        let workshop = shop(methods, unit);
        for kind in Kind::all() {
            let told = answer(&format!("4 {}", kind.0.plural), &workshop, &Vec::new);
            // Several rings are a coil: the headline is that of its plan.
            if let Some(coil) = told.request {
                let plan = coil.sheet(&workshop).result.unwrap().plan;
                assert!(told.headline.contains(&plan.to_wind(unit)), "{}", told.headline);
                continue;
            }
            let Some(request) = told.pattern else { continue };
            let Some(worked) = request.sheet(&workshop).result else { continue };
            let cut = on_ruler(worked.form.blank.flush_mm, unit);
            assert!(told.headline.contains(&format!(" at {cut} (")), "{}: {cut}", told.headline);
        }
    }
}

#[rstest]
fn rings_are_told_alike_everywhere(
    #[values(LengthUnit::Mm, LengthUnit::Inch)] unit: LengthUnit,
    #[values(12, 120, 400)] rings_n: u32,
    #[values(Method::Saw, Method::DoubleFlush, Method::Shears, Method::SingleSnip)] method: Method,
) {
    for wire in wires() {
        for pulls_n in [0, 10] {
            for hammered in [false, true] {
                let rod = Mandrel { length_mm: Some(86.0), ..Mandrel::round(5.0) };
                let request = RingRequest {
                    cutting: Cutting { method, ..Cutting::default() },
                    pulls_n,
                    hammered_mm: hammered.then_some(0.8 * wire.size_mm),
                    ..RingRequest::new(wire.clone(), rod, rings_n)
                };
                rings_agree(&request, &shop(Methods::default(), unit));
            }
        }
    }
}

fn rings_agree(request: &RingRequest, workshop: &Workshop) {
    let unit = workshop.habits.unit;
    let at = format!("{} rings of {}", request.rings_n, request.wire.shown(unit));
    let piece = Piece::Rings(request.clone());
    let worked = request.sheet(workshop).result.unwrap();
    let plan = &worked.plan;
    let turns = plan.turns_per_coil_n.to_string();
    let figure = |key: &str| worked.figures.iter().find(|figure| figure.key == key).unwrap();
    assert_eq!(figure("turns-wound").value, turns, "{at}: the sheet");
    let wind = worked.steps.iter().find(|step| step.operation == Operation::Wind).unwrap();
    let told = format!("{turns} turns");
    let wire = pull(plan.coil_wire_mm, unit);
    assert!(wind.text.contains(&told) && wind.text.contains(&wire), "{at}: the step says {}", wind.text);
    let tasks = batch_of(&piece).tasks(workshop).unwrap();
    let task = tasks.iter().find(|task| task.step.operation == Operation::Wind).unwrap();
    assert_eq!((task.number.as_str(), task.n), (told.as_str(), plan.coils_n), "{at}: the bench");
    assert_eq!(task.off_the_spool_mm, Some(plan.coil_wire_mm), "{at}: off the spool");
    let tile = piece.thumbnail(workshop).unwrap().cut;
    assert!(tile.contains(&told) && tile.contains(&wire), "{at}: the tile says {tile}");
    let label = bag_of(&piece).label(workshop);
    let of_four = RingRequest { rings_n: 4, ..request.clone() }.plan_in(workshop).unwrap();
    let coils = label.rows.iter().find(|(title, _)| *title == "coils").unwrap();
    assert_eq!(coils.1, of_four.coils_told(), "{at}: the label");
    let blanks = piece.blanks(workshop).unwrap();
    assert_eq!((blanks.length_mm, blanks.n), (plan.coil_wire_mm, plan.coils_n), "{at}: the cutting plan");
    // The ring of the plan is the one the route ends with, and what the next plan is told.
    let route = piece.route(workshop).unwrap();
    assert_eq!(route.totals.workpiece.inside_mm, Some(plan.ring_inside_diameter_mm), "{at}");
    assert_eq!(route.totals.holds.map(|holds| holds.pulls_open_n), Some(plan.opening_force_n), "{at}");
    assert_eq!(route.totals.strain_used, plan.strain_used, "{at}");
    assert_eq!(route.totals.effort, plan.hand_effort, "{at}");
    assert!((route.totals.off_the_spool_mm - plan.wire_length_mm).abs() < 1e-6, "{at}");
    minutes_agree(&piece, workshop, &at);
}

/// A chain: its rings, wire, turns, minutes and load.
#[rstest]
fn a_chain_is_told_alike_everywhere(
    #[values(LengthUnit::Mm, LengthUnit::Inch)] unit: LengthUnit,
    #[values("two-in-two", "byzantine")] weave: &str,
    #[values(false, true)] shut_as_built: bool,
) {
    for (metal, temper) in [
        (Metal::Copper, Temper::Soft),
        (Metal::SterlingSilver, Temper::HalfHard),
        (Metal::Brass, Temper::Soft),
    ] {
        let workshop = shop(Methods { close_while_building: shut_as_built, ..Methods::default() }, unit);
        let ring = RingRequest::new(Wire::round(metal, 1.2, temper), Mandrel::round(5.0), 1);
        let request = ChainRequest::new(weave, ring, 420.0);
        let at = format!("{weave} of {metal}");
        let piece = Piece::Chain(Box::new(request.clone()));
        let plan = request.sheet(&workshop).result.unwrap().plan;
        let rings = request.rings().unwrap().plan_in(&workshop).unwrap();
        let blanks = piece.blanks(&workshop).unwrap();
        assert_eq!(
            (blanks.length_mm, blanks.n),
            (rings.coil_wire_mm, rings.coils_n),
            "{at}: the cutting plan"
        );
        let route = piece.route(&workshop).unwrap();
        assert!((route.totals.off_the_spool_mm - plan.off_the_spool_mm).abs() < 1e-6, "{at}: off the spool");
        assert_eq!(route.totals.holds.map(|holds| holds.first_set_n), Some(plan.rings_open_n), "{at}: load");
        let tasks = batch_of(&piece).tasks(&workshop).unwrap();
        let wind = tasks.iter().find(|task| task.step.operation == Operation::Wind).unwrap();
        let turns = format!("{} turns", rings.turns_per_coil_n);
        assert_eq!((wind.number.as_str(), wind.n), (turns.as_str(), rings.coils_n), "{at}: the bench");
        let label = bag_of(&piece).label(&workshop);
        let row = label.rows.iter().find(|(title, _)| *title == "rings").unwrap();
        assert!(row.1.starts_with(&format!("{} for ", plan.rings_n)), "{at}: the label says {}", row.1);
        minutes_agree(&piece, &workshop, &at);
    }
}
