//! Batches: their tasks are the route, and what happens at the bench adds up.
#![allow(clippy::unwrap_used, missing_docs)]

use jiff::Timestamp;
use lorimant_core::bench::rest::at_it_min;
use lorimant_core::bench::{Batch, BatchProgress, Counted, Event, EventKind, Task};
use lorimant_core::making::{Changes, Operation};
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::piece::Piece;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::method::{Hardening, Methods, Straightening};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::words::length::{LengthUnit, caliper, on_ruler};
use proptest::prelude::*;
use rstest::rstest;

use crate::common::usual;

fn hooks(n: u32) -> Batch {
    Batch::of("hooks", Piece::Finding(usual("hook-clasp")), n)
}

fn rings(n: u32) -> Batch {
    let wire = Wire::round(Metal::Copper, 1.02, Temper::Soft);
    Batch::of("rings", Piece::Rings(RingRequest::new(wire, Mandrel::round(5.0), n)), n)
}

fn tasks(batch: &Batch) -> Vec<Task> {
    batch.tasks(&Workshop::default()).unwrap()
}

fn minute(n: usize) -> Timestamp {
    Timestamp::from_second(1_700_000_000 + 60 * i64::try_from(n).unwrap()).unwrap()
}

/// A bench on which only what can happen does.
struct Bench {
    batch: Batch,
    tasks: Vec<Task>,
    events: Vec<Event>,
}

impl Bench {
    fn of(batch: Batch) -> Self {
        let tasks = tasks(&batch);
        Self { batch, tasks, events: vec![] }
    }

    fn progress(&self) -> BatchProgress {
        self.batch.progress(&self.tasks, &self.events)
    }

    fn happens(&mut self, step_n: usize, happened: EventKind, n: u32) -> Result<(), String> {
        let at = self.events.len();
        let reason = String::new();
        let step_n = u32::try_from(step_n).unwrap();
        let event = Event { key: format!("key-{at:06}"), step_n, kind: happened, n, reason, at: minute(at) };
        let progress = self.progress();
        self.batch.may_happen(&self.tasks, &progress, &event).map_err(|fault| fault.message)?;
        self.events.push(event);
        Ok(())
    }
}

#[test]
fn the_tasks_of_every_piece_are_its_route() {
    let shop = Workshop::default();
    for kind in Kind::all() {
        let piece = Piece::Finding(PatternRequest::usual(kind)).with_count(6);
        let batch = Batch::of("six", piece.clone(), 6);
        let route = piece.route(&shop).unwrap();
        let tasks = tasks(&batch);
        let steps: Vec<&str> = tasks.iter().map(|task| task.step.text.as_str()).collect();
        let texts: Vec<&str> = route.operations.iter().map(|step| step.text.as_str()).collect();
        assert_eq!(steps, texts, "{}", kind.0.kind);
        let hands: f64 = tasks.iter().map(|task| task.hands_min).sum();
        assert!((hands - route.totals.hands_min).abs() < 1e-9, "{}", kind.0.kind);
        assert!(tasks.iter().all(|task| !task.drawing.shapes.is_empty()), "{}", kind.0.kind);
    }
}

#[test]
fn rings_are_counted_as_coils_until_they_are_cut() {
    let batch = rings(240);
    let Piece::Rings(request) = &batch.piece else { unreachable!() };
    let coils_n = request.plan().unwrap().coils_n;
    let of = |operation| tasks(&batch).into_iter().find(|task| task.step.operation == operation).unwrap();
    assert_eq!((of(Operation::Straighten).counted, of(Operation::Straighten).n), (Counted::Once, 1));
    assert_eq!((of(Operation::Wind).counted, of(Operation::Wind).n), (Counted::Coil, coils_n));
    assert_eq!((of(Operation::Close).counted, of(Operation::Close).n), (Counted::Ring, 240));
    assert!(of(Operation::Wind).number.ends_with("turns"), "{}", of(Operation::Wind).number);
}

#[test]
fn what_is_read_from_a_metre_away_is_the_steps_own_number() {
    for task in tasks(&hooks(4)).into_iter().chain(tasks(&rings(40))) {
        let numbers = &task.step.numbers;
        // What a number is of does not stand there without it.
        assert!(
            !task.number.is_empty() || task.number_of.is_empty() || task.number_of.starts_with("on "),
            "{task:?}"
        );
        match task.step.operation {
            Operation::Cut => {
                let read: f64 = task.number.trim_end_matches(" mm").parse().unwrap();
                // What the ruler shows: on its half millimetres, and no shorter than what is needed.
                let over = read - numbers.length_mm.unwrap();
                assert!((-1e-9..0.5).contains(&over) && (2.0 * read).fract().abs() < 1e-9, "{}", task.number);
            }
            Operation::Bend | Operation::Loop => {
                // A place that a ruler shows, on the jaw or on the wire; the size of the tool only where there is none.
                let place = numbers.jaw_mm.or(numbers.at_mm.filter(|at| *at >= 0.25));
                match place {
                    Some(mm) => assert_eq!(task.number, on_ruler(mm, LengthUnit::Mm)),
                    None => assert_eq!(task.number, caliper(numbers.tool_mm.unwrap(), LengthUnit::Mm)),
                }
            }
            _ => {}
        }
    }
}

/// A whole batch, piece by piece, one scrapped on the way.
#[test]
fn a_batch_is_led_to_its_end() {
    let mut bench = Bench::of(hooks(3));
    assert_eq!(bench.progress().at, Some(0));
    for step_n in 1..=bench.tasks.len() {
        assert_eq!(bench.progress().at, Some(step_n - 1));
        let roll = bench.tasks[step_n - 1].step.operation == Operation::Bend;
        if roll && bench.progress().scrapped.is_empty() {
            bench.happens(step_n, EventKind::Scrapped, 1).unwrap();
        }
        while bench.progress().tasks[step_n - 1].left_n > 0 {
            bench.happens(step_n, EventKind::Done, 1).unwrap();
        }
    }
    let progress = bench.progress();
    assert_eq!((progress.at, progress.whole_n, progress.scrapped.len()), (None, 2, 1));
    assert!(progress.left_min.abs() < 1e-12);
}

#[rstest]
#[case::ahead(2, EventKind::Done, 1, "not done yet")]
#[case::nothing(1, EventKind::Done, 0, "at least 1")]
#[case::too_many(1, EventKind::Done, 2, "too many")]
#[case::nowhere(99, EventKind::Done, 1, "no step 99")]
#[case::not_counted(1, EventKind::TakenBack, 1, "can be undone")]
#[case::not_alone(1, EventKind::Started, 1, "runs on its own")]
fn what_cannot_have_happened_is_refused_with_a_sentence(
    #[case] step_n: usize,
    #[case] happened: EventKind,
    #[case] n: u32,
    #[case] text: &str,
) {
    let refused = Bench::of(hooks(3)).happens(step_n, happened, n).unwrap_err();
    assert!(refused.contains(text), "{refused}");
}

#[test]
fn what_went_on_is_not_taken_back_behind_it() {
    let mut bench = Bench::of(hooks(3));
    let cut = bench.tasks.iter().position(|task| task.step.operation == Operation::Cut).unwrap() + 1;
    for step_n in 1..cut {
        bench.happens(step_n, EventKind::Done, 1).unwrap();
    }
    bench.happens(cut, EventKind::Done, 3).unwrap();
    bench.happens(cut + 1, EventKind::Done, 2).unwrap();
    assert!(bench.happens(cut, EventKind::TakenBack, 2).unwrap_err().contains("1 piece"));
    bench.happens(cut, EventKind::TakenBack, 1).unwrap();
    assert_eq!(bench.progress().tasks[cut - 1].done_n, 2);
    // The wire was straightened for all of them.
    assert!(bench.happens(cut - 1, EventKind::TakenBack, 1).is_err());
}

#[test]
fn what_runs_by_itself_says_when_it_is_ready() {
    let mut batch = hooks(2);
    batch.changes =
        Changes::default().toggled(Operation::Tumble, lorimant_core::making::route::Place::AtTheEnd);
    let mut bench = Bench::of(batch);
    let barrel = bench.tasks.iter().position(|task| task.step.operation == Operation::Tumble).unwrap() + 1;
    assert!(bench.happens(barrel, EventKind::Started, 1).unwrap_err().contains("not done yet"));
    for step_n in 1..barrel {
        let n = bench.tasks[step_n - 1].n;
        bench.happens(step_n, EventKind::Done, n).unwrap();
    }
    bench.happens(barrel, EventKind::Started, 1).unwrap();
    let started = bench.events.last().unwrap().at;
    assert!(bench.happens(barrel, EventKind::Started, 1).unwrap_err().contains("It is already running"));
    let there = bench.progress().tasks[barrel - 1].clone();
    assert_eq!(there.started_at, Some(started));
    let hours = there.ready_at.unwrap().duration_since(started).as_secs_f64() / 3600.0;
    assert!((hours - 2.0).abs() < 1e-9, "{hours}");
    bench.happens(barrel, EventKind::Done, 1).unwrap();
    assert_eq!(bench.progress().tasks[barrel - 1].ready_at, None);
}

#[test]
fn pauses_are_no_work() {
    let mut bench = Bench::of(hooks(3));
    bench.happens(1, EventKind::Done, 1).unwrap();
    bench.happens(2, EventKind::Done, 3).ok();
    let mut at = |step_n: u32, second: i64, key: usize| {
        let at = Timestamp::from_second(1_700_000_000 + second).unwrap();
        let (happened, reason) = (EventKind::Done, String::new());
        bench.events.push(Event { key: format!("late-{key:04}"), step_n, kind: happened, n: 1, reason, at });
    };
    // Twice half a minute, and an evening between.
    at(3, 0, 1);
    at(3, 30, 2);
    at(3, 9000, 3);
    at(3, 9030, 4);
    assert!((bench.progress().tasks[2].took_min - 1.0).abs() < 1e-9);
}

/// The workshop takes up another method in the middle: what was begun goes on by the old one.
#[test]
fn a_batch_goes_on_by_the_methods_it_was_begun_with() {
    let old = Workshop::default();
    let new =
        Methods { hardening: Hardening::Tumble, straightening: Straightening::AfterCutting, ..old.methods };
    let new = Workshop { methods: new, ..Workshop::default() };
    for mut batch in [hooks(3), rings(80)] {
        let before = batch.tasks(&old).unwrap();
        assert_ne!(batch.tasks(&new).unwrap().len(), before.len());
        batch.methods = Some(old.methods);
        assert_eq!(batch.tasks(&new).unwrap(), before);
    }
}

proptest! {
    /// Whatever is tried, and whichever of it is let happen: no piece is made twice, none is lost but those scrapped.
    #[test]
    fn pieces_are_neither_made_nor_lost(
        coiled in any::<bool>(),
        n in 1_u32..9,
        tries in prop::collection::vec((0_usize..12, 0_usize..4, 0_u32..5), 0..120),
    ) {
        let mut bench = Bench::of(if coiled { rings(n * 40) } else { hooks(n) });
        let all = bench.batch.pieces_n();
        for (step, what, many) in tries {
            let happened = EventKind::ALL[what];
            let _ = bench.happens(step, happened, many);
            let progress = bench.progress();
            let mut before = u32::MAX;
            for (task, there) in bench.tasks.iter().zip(&progress.tasks) {
                let here = progress.scrapped.iter().filter(|one| usize::try_from(one.step_n).unwrap() == task.step.step_n);
                let scrapped: u32 = here.map(|one| one.n).sum();
                prop_assert!(there.done_n + scrapped <= task.n);
                prop_assert!(there.ready_n <= there.left_n);
                // In pieces: what is done here was done before.
                let pieces = match task.counted {
                    Counted::Piece | Counted::Ring => there.done_n,
                    Counted::Once => if there.done_n > 0 { all } else { 0 },
                    Counted::Placing => unreachable!("rings hang in no chain here"),
                    Counted::Coil => there.done_n.saturating_mul(all.div_ceil(task.n)),
                };
                if matches!(task.counted, Counted::Piece | Counted::Ring) {
                    prop_assert!(pieces <= before, "{} of {before} at {}", pieces, task.step.named);
                }
                before = pieces;
            }
        }
        // Whatever was done so far, the rest of it leads to the end.
        let mut presses = 0;
        while let Some(at) = bench.progress().at {
            let may = bench.progress().tasks[at].ready_n;
            prop_assert!(may > 0, "stuck at {}", bench.tasks[at].step.named);
            prop_assert!(bench.happens(at + 1, EventKind::Done, may).is_ok());
            presses += 1;
            prop_assert!(presses < 200);
        }
        let scrapped: u32 = bench.progress().scrapped.iter().map(|one| one.n).sum();
        prop_assert!(bench.progress().whole_n + scrapped >= all || coiled);
    }
}

/// The time a step took is the gaps between its presses; a gap over five minutes was a pause.
#[test]
fn a_gap_over_five_minutes_is_no_work() {
    let batch = Batch::of("clasps", Piece::Finding(usual("hook-clasp")), 4);
    let tasks = batch.tasks(&Workshop::default()).unwrap();
    let cut = tasks.iter().position(|task| task.step.operation == Operation::Cut).unwrap();
    let press = |at: usize, minutes: i64| Event {
        key: format!("press-{at}-{minutes}"),
        step_n: u32::try_from(at).unwrap() + 1,
        kind: EventKind::Done,
        n: 1,
        reason: String::new(),
        at: "2026-03-02T18:00:00Z".parse::<Timestamp>().unwrap() + jiff::SignedDuration::from_mins(minutes),
    };
    let mut events: Vec<Event> = (0..cut).map(|at| press(at, 0)).collect();
    events.extend([0, 4, 10, 13].map(|minutes| press(cut, minutes)));
    // 4 and 3 minutes of work; the six between them were a pause.
    assert!((batch.progress(&tasks, &events).tasks[cut].took_min - 7.0).abs() < 1e-9);
    assert_eq!(batch.progress(&tasks, &events).tasks[cut].timed_n, 2, "the piece of the pause is not timed");
    // A burst for pieces that were done before teaches nothing.
    let burst = |second: i64| Event {
        key: format!("burst-{second:06}"),
        at: press(cut, 13).at + jiff::SignedDuration::from_millis(100 * second),
        ..press(cut, 13)
    };
    let ticked: Vec<Event> = events.iter().cloned().chain((1..9).map(burst)).collect();
    assert_eq!(batch.progress(&tasks, &ticked).tasks[cut].timed_n, 2);
    let presses: Vec<Timestamp> = events.iter().map(|event| event.at).collect();
    let now = presses.last().copied().unwrap();
    assert!((at_it_min(&presses, now, 15.0) - 7.0).abs() < 1e-9);
}

/// What the bench draws at the tool is to scale: the mark on the jaw, the cut and the marks on the ruler lie as far from
/// their zero as is printed.
#[rstest]
fn the_wire_at_its_tool_is_drawn_where_the_number_says(
    #[values(LengthUnit::Mm, LengthUnit::Inch)] unit: LengthUnit,
) {
    let plier = serde_json::from_str(
        r#"{ "name": "slim", "jaws": "round-nose", "tip_mm": 1.2, "base_mm": 9.5, "length_mm": 28 }"#,
    );
    let mut workshop = Workshop { pliers: vec![plier.unwrap()], ..Workshop::default() };
    workshop.habits.unit = unit;
    let mut drawn_n = 0;
    for kind in Kind::all() {
        let batch = Batch::of("piece", Piece::Finding(PatternRequest::usual(kind)), 2);
        for task in batch.tasks(&workshop).unwrap() {
            let Some(drawing) = &task.at_tool else { continue };
            drawn_n += 1;
            let numbers = &task.step.numbers;
            let wanted: Vec<f64> = match task.step.operation {
                Operation::Cut => {
                    numbers.on_ruler_mm.or(numbers.left_mm).or(numbers.length_mm).into_iter().collect()
                }
                Operation::Mark => task.step.marks.iter().map(|mark| mark.mm).collect(),
                _ => numbers.jaw_mm.into_iter().collect(),
            };
            let long = |one: &lorimant_core::drawing::Dimension| (one.to.x_mm - one.from.x_mm).abs();
            let drawn: Vec<f64> = drawing.dimensions.iter().map(long).collect();
            assert_eq!(drawn.len(), wanted.len(), "{} {}", kind.0.kind, task.step.named);
            for ((drawn, wanted), dimension) in drawn.iter().zip(&wanted).zip(&drawing.dimensions) {
                assert!(
                    (drawn - wanted).abs() < 1e-9,
                    "{} {}: {drawn} for {wanted}",
                    kind.0.kind,
                    task.step.named
                );
                assert_eq!(dimension.text, on_ruler(*wanted, unit));
            }
        }
    }
    assert!(drawn_n > 40, "{drawn_n} drawings");
}

/// A pause as long as a rest begins the time at the bench anew; one that is shorter by a second does not.
#[rstest]
#[case(5, 0, 0.0)]
#[case(4, 59, 20.0)]
fn a_pause_as_long_as_a_rest_is_one(#[case] minutes: i64, #[case] seconds: i64, #[case] at_it: f64) {
    let presses: Vec<Timestamp> = (0..=20).map(minute).collect();
    let now = minute(20) + jiff::SignedDuration::from_secs(60 * minutes + seconds);
    assert_eq!(at_it_min(&presses, now, 5.0), at_it);
}
