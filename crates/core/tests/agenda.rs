//! The agenda: hours by the clock on the wall, what is held by hand, loads, passes, rests and the workshop's own pace.
#![allow(clippy::unwrap_used, missing_docs)]

use jiff::civil::{Date, date};
use jiff::tz::TimeZone;
use jiff::{Timestamp, ToSpan as _, ZonedDateTime};
use lorimant_core::bench::load::loads;
use lorimant_core::bench::pass::{Led, passes};
use lorimant_core::bench::schedule::agenda::{
    Agenda, JobOf, ScheduleChange, SessionStep, Wanted, laid::Laid,
};
use lorimant_core::bench::schedule::hours::Hours;
use lorimant_core::bench::schedule::{Job, Planned};
use lorimant_core::bench::times::Times;
use lorimant_core::bench::{Batch, Counted, Event, EventKind};
use lorimant_core::making::Operation;
use lorimant_core::order::{Covered, Line, Order, cover, to_begin};
use lorimant_core::piece::Piece;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::gear::Gear;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::method::{Hardening, Methods};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use rstest::rstest;

use crate::common::usual;

/// Middle European time: an hour later from the last Sunday of March to that of October.
fn zone() -> TimeZone {
    TimeZone::posix("CET-1CEST,M3.5.0,M10.5.0/3").unwrap()
}

fn noon(day: Date) -> ZonedDateTime {
    day.at(12, 0, 0, 0).to_zoned_datetime(zone()).unwrap()
}

#[rstest]
// The Sunday the clocks change lies between: a day of 23 hours, and one of 25.
#[case(date(2026, 3, 27), 23.0)]
#[case(date(2026, 10, 23), 25.0)]
fn nine_o_clock_stays_nine_o_clock_across_the_change(#[case] friday: Date, #[case] sunday_h: f64) {
    let begins = noon(friday);
    let sessions = Hours::evenings().sessions(&begins, 8);
    let wall: Vec<String> = sessions
        .iter()
        .map(|one| {
            let at = begins.timestamp() + jiff::SignedDuration::from_secs_f64(one.from_min * 60.0);
            at.to_zoned_datetime(zone()).strftime("%a %H:%M").to_string()
        })
        .collect();
    assert_eq!(wall, ["Sat 09:00", "Tue 18:00", "Thu 18:00"]);
    // From Saturday nine to Tuesday six: three days and nine hours, but for the Sunday.
    let between_h = (sessions[1].from_min - sessions[0].from_min) / 60.0;
    assert!((between_h - (2.0 * 24.0 + sunday_h + 9.0)).abs() < 1e-9, "{between_h}");
    let quiet = Hours::evenings().quiet(&begins, 8);
    let longest = quiet.iter().map(|one| one.to_min - one.from_min).fold(0.0, f64::max);
    let shortest = quiet.iter().map(|one| one.to_min - one.from_min).fold(f64::INFINITY, f64::min);
    let odd_h = if sunday_h < 24.0 { shortest / 60.0 } else { longest / 60.0 };
    assert!((odd_h - (10.0 + sunday_h - 24.0)).abs() < 1e-9, "{odd_h}");
}

#[test]
fn hours_that_cannot_be_are_said() {
    let mut hours = Hours::evenings();
    hours.weekly[0].to = hours.weekly[0].from;
    let twice = hours.weekly[1];
    hours.weekly.push(twice);
    hours.rest_min = f64::NAN;
    let fields: Vec<String> = hours.check().unwrap_err().0.into_iter().map(|fault| fault.field).collect();
    assert_eq!(fields, ["rest_min", "weekly[0].to", "weekly[3].from"]);
}

fn wanted(number: i64, kind: &str, n: u32, due: Option<Date>) -> Wanted {
    let batch = Batch::of(&format!("{kind} {number}"), Piece::Finding(usual(kind)), n);
    let tasks = batch.tasks(&Workshop::default()).unwrap();
    let progress = batch.progress(&tasks, &[]);
    Wanted { of: JobOf::Batch(number), batch, tasks, progress, due, orders: vec![] }
}

fn agenda(wanted: &[Wanted], holds: &[ScheduleChange]) -> Agenda {
    let laid = Laid::out(
        wanted,
        (&Hours::evenings(), &Gear::default(), &Times::default()),
        holds,
        &noon(date(2026, 3, 2)),
        28,
    );
    let planned = laid.sessions.plan(7, &|at| at.tried_n < 40).unwrap();
    laid.agenda(&planned, &[])
}

#[test]
fn a_long_job_is_parted_between_its_pieces() {
    let agenda = agenda(&[wanted(1, "hook-clasp", 400, None)], &[]);
    let with_work = agenda.sessions.iter().filter(|one| !one.runs.is_empty()).count();
    assert!(with_work > 5, "{:?}", agenda.unmet);
}

/// Every step of every batch, with whose it is.
fn steps(agenda: &Agenda) -> impl Iterator<Item = (JobOf, &SessionStep)> {
    let runs = agenda.sessions.iter().flat_map(|one| &one.runs);
    runs.flat_map(|run| run.steps.iter().map(|step| (run.of, step)))
}

/// When a step is begun first.
fn begun(agenda: &Agenda, number: i64, step_n: u32) -> Timestamp {
    steps(agenda)
        .filter(|(of, step)| *of == JobOf::Batch(number) && step.step_n == step_n)
        .map(|(_, step)| step.from)
        .min()
        .unwrap()
}

#[test]
fn every_step_stands_in_a_session_in_its_order() {
    let all = [wanted(1, "hook-clasp", 24, Some(date(2026, 3, 27))), wanted(2, "open-ear-wire", 12, None)];
    let agenda = agenda(&all, &[]);
    assert!(agenda.unmet.is_empty(), "{:?}", agenda.unmet);
    for one in &all {
        let mut before = Timestamp::MIN;
        for (i, task) in one.tasks.iter().enumerate() {
            let step_n = u32::try_from(i + 1).unwrap();
            let here: Vec<_> = steps(&agenda)
                .filter(|(of, work)| *of == one.of && work.step_n == step_n)
                .map(|(_, work)| work)
                .collect();
            let n: u32 = here.iter().map(|work| work.n).sum();
            // What is counted once for all is parted between its pieces.
            let once = task.counted == Counted::Once;
            assert_eq!(n, if once { here[0].of_n } else { task.n }, "{}", task.step.named);
            assert!(here.iter().all(|work| work.from >= before));
            before = here.iter().map(|work| work.to).max().unwrap();
        }
    }
    for session in &agenda.sessions {
        assert!(session.runs.iter().all(|run| run.from >= session.from && run.to <= session.to));
        assert!(session.hands_min <= 120.0 + 1e-6 && session.strain_share <= 1.0 + 1e-6);
    }
}

#[test]
fn what_is_held_by_hand_stays_held() {
    let all = [wanted(1, "hook-clasp", 24, None)];
    let free = agenda(&all, &[]);
    let cut = u32::try_from(
        all[0].tasks.iter().position(|task| task.step.operation == Operation::Cut).unwrap() + 1,
    )
    .unwrap();
    let (of, saturday) = (JobOf::Batch(1), noon(date(2026, 3, 6)).timestamp());
    assert!(begun(&free, 1, cut) < saturday);
    let pinned = agenda(&all, &[ScheduleChange::NotBefore { of, step_n: cut, at: saturday }]);
    assert!(begun(&pinned, 1, cut) >= saturday);
    let parted = agenda(&all, &[ScheduleChange::Parted { of, step_n: cut, first_n: 6, at: saturday }]);
    assert_eq!(begun(&parted, 1, cut), begun(&free, 1, cut));
    let late: u32 = steps(&parted)
        .filter(|(_, step)| step.step_n == cut && step.from >= saturday)
        .map(|(_, step)| step.n)
        .sum();
    assert_eq!(late, 18);
    let first = free.sessions[0].from;
    let skipped = agenda(&all, &[ScheduleChange::Skipped { from: first }]);
    let left_out = skipped.sessions.iter().find(|one| one.from == first).unwrap();
    assert!(left_out.skipped && left_out.runs.is_empty());
    assert!(begun(&skipped, 1, 1) > first);
}

#[test]
fn what_runs_already_is_only_waited_for() {
    let mut one = wanted(1, "open-ear-wire", 12, None);
    one.batch.methods = Some(Methods { hardening: Hardening::Tumble, ..Methods::default() });
    one.tasks = one.batch.tasks(&Workshop::default()).unwrap();
    let tumble = one.tasks.iter().position(|task| task.step.operation == Operation::Tumble).unwrap();
    let now = noon(date(2026, 3, 2)).timestamp();
    let event = |i: usize, happened, n| Event {
        key: format!("key-{i:06}"),
        step_n: u32::try_from(i + 1).unwrap(),
        kind: happened,
        n,
        reason: String::new(),
        at: now,
    };
    let mut events: Vec<Event> = (0..tumble).map(|i| event(i, EventKind::Done, one.tasks[i].n)).collect();
    events.push(event(tumble, EventKind::Started, 1));
    one.progress = one.batch.progress(&one.tasks, &events);
    let agenda = agenda(&[one.clone()], &[]);
    assert!(agenda.unattended.iter().any(|alone| alone.barrel && alone.from == now));
    let step_n = u32::try_from(tumble + 1).unwrap();
    assert!(steps(&agenda).all(|(_, step)| step.step_n > step_n));
    // Nobody pinned it: nothing says so.
    let runs = agenda.sessions.iter().flat_map(|one| &one.runs);
    assert!(runs.clone().count() > 0 && runs.clone().all(|run| !run.reason.contains("Pinned")), "{agenda:?}");
}

#[test]
fn a_load_keeps_apart_what_marks_and_what_catches() {
    let of = |kind: &str, metal, n| {
        let wire = Wire::round(metal, 0.81, Temper::HalfHard);
        Batch::of(&format!("{kind} in {metal}"), Piece::Finding(usual(kind)).in_wire(wire), n)
    };
    let all = [
        of("open-ear-wire", Metal::SterlingSilver, 20),
        of("hook-clasp", Metal::Brass, 20),
        of("figure-eight", Metal::SterlingSilver, 20),
        of("figure-eight", Metal::Copper, 20),
        of("plain-head-pin", Metal::Brass, 20),
    ];
    let waiting: Vec<_> = all
        .iter()
        .map(|batch| lorimant_core::bench::load::ForTheBarrel { batch, pieces_n: 20, mass_g: 10.0 })
        .collect();
    let made = loads(&waiting, &Gear::default()).unwrap();
    let mut seen: Vec<usize> = made.iter().flat_map(|load| load.batches.clone()).collect();
    seen.sort_unstable();
    assert_eq!(seen, [0, 1, 2, 3, 4], "each in one load");
    for load in &made {
        let companies: Vec<_> = load.batches.iter().map(|at| all[*at].piece.wire().metal.company()).collect();
        assert!(companies.windows(2).all(|pair| pair[0] == pair[1]), "{load:?}");
    }
    // Ear wires hang into each other whatever is done: time is counted to pick them apart.
    let ears = made.iter().find(|load| load.batches.contains(&0)).unwrap();
    assert!(ears.pick_out_min >= 2.0 && ears.text.contains("with each other"), "{}", ears.text);
    // As heavy as one load may be, and what alone is heavier is filled in several times.
    let heavy: Vec<_> = waiting
        .iter()
        .map(|one| lorimant_core::bench::load::ForTheBarrel { mass_g: 150.0, ..*one })
        .collect();
    let made = loads(&heavy, &Gear::default()).unwrap();
    assert!(made.iter().all(|load| load.batches.len() == 1 && load.loads_n == 1));
    let heavy = [lorimant_core::bench::load::ForTheBarrel { mass_g: 450.0, ..waiting[0] }];
    assert_eq!(loads(&heavy, &Gear::default()).unwrap()[0].loads_n, 3);
}

/// Without a torch nothing is balled: the line is said, with its reason, and not left out in silence.
#[test]
fn a_line_that_cannot_be_made_is_said() {
    let piece = Piece::Finding(usual("balled-head-pin")).with_count(4);
    let line = Line { name: "pins".to_owned(), piece, spares_percent: 0.0, handed_n: 0 };
    let order = Order { customer: String::new(), due: None, note: String::new(), lines: vec![line] };
    let lines = &cover(&[&order], &[], &[], &Workshop::default())[0];
    let covered = [Covered { id: 7, order: &order, lines }];
    let cold = Workshop { gear: Gear { torch: false, ..Gear::default() }, ..Workshop::default() };
    assert_eq!(to_begin(&covered, &Workshop::default()).0.len(), 1);
    let (wanted, cannot) = to_begin(&covered, &cold);
    assert!(wanted.is_empty());
    let laid = Laid::out(
        &wanted,
        (&Hours::evenings(), &cold.gear, &Times::default()),
        &[],
        &noon(date(2026, 3, 2)),
        7,
    );
    let text = laid.but_for(cannot).agenda(&Planned::default(), &[]).unmet;
    assert_eq!(text[0].of, JobOf::Line { order: 7, line: 0 });
    assert!(text[0].text.starts_with("pins cannot be made") && text[0].text.contains("torch"), "{text:?}");
}

/// Half of a pair that is not cut yet is a pair to cut; what is cut is not.
#[test]
fn what_is_still_to_be_cut_is_counted_as_it_is_ordered() {
    let mut one = wanted(1, "open-ear-wire", 3, None);
    assert_eq!(one.to_cut().unwrap().piece.count(), 3);
    let cut = one.tasks.iter().position(|task| task.off_the_spool_mm.is_some()).unwrap();
    for (done, left) in [(1, Some(3)), (2, Some(2)), (5, Some(1)), (6, None)] {
        one.progress.tasks[cut].left_n = 6 - done;
        assert_eq!(one.to_cut().map(|picked| picked.piece.count()), left, "{done} of 6 blanks are cut");
    }
}

/// Of twelve hooks four are scrapped: the eight that are left take eight twelfths of the minutes.
#[test]
fn what_is_scrapped_takes_no_more_minutes() {
    let mut one = wanted(1, "hook-clasp", 12, None);
    let check = one.tasks.iter().rposition(|task| task.counted == Counted::Once).unwrap();
    let minutes = |one: &Wanted| {
        let job = Job::of(&one.batch, &one.tasks, &one.progress, 200.0, None);
        let work = job.works.last().unwrap();
        f64::from(work.n) * work.each_min
    };
    assert_eq!(check, one.tasks.len() - 1);
    let all = minutes(&one);
    one.progress.whole_n = 8;
    assert!((minutes(&one) / all - 8.0 / 12.0).abs() < 1e-9);
}

#[test]
fn batches_that_share_a_tool_share_a_pass() {
    let all = [
        wanted(1, "hook-clasp", 24, None),
        wanted(2, "hook-clasp", 10, None),
        wanted(3, "open-ear-wire", 6, None),
    ];
    let done_to = |one: &Wanted, to: usize| {
        let events: Vec<Event> = (0..to)
            .map(|i| Event {
                key: format!("key-{i:06}"),
                step_n: u32::try_from(i + 1).unwrap(),
                kind: EventKind::Done,
                n: one.tasks[i].n,
                reason: String::new(),
                at: Timestamp::UNIX_EPOCH,
            })
            .collect();
        one.batch.progress(&one.tasks, &events)
    };
    let roll = all[0].tasks.iter().position(|task| task.step.numbers.tool_mm.is_some()).unwrap();
    let progress = [done_to(&all[0], roll), done_to(&all[1], roll), all[2].progress.clone()];
    let led: Vec<Led> = all
        .iter()
        .zip(&progress)
        .map(|(one, progress)| Led { batch: &one.batch, tasks: &one.tasks, progress })
        .collect();
    let shared = passes(&led);
    assert_eq!(shared.len(), 1, "{shared:?}");
    assert_eq!(shared[0].steps.iter().map(|step| step.ready_n).collect::<Vec<_>>(), [24, 10]);
    assert!(shared[0].named.starts_with("roll eye, "), "{}", shared[0].named);
}

#[test]
fn the_workshop_s_pace_is_learned_from_its_presses() {
    let one = wanted(1, "hook-clasp", 11, None);
    let cut = one.tasks.iter().position(|task| task.step.operation == Operation::Cut).unwrap();
    let each_min = one.tasks[cut].hands_min - one.tasks[cut].step.takes.setting_up_min;
    let each_min = each_min / 11.0;
    let press = |i: usize, step: usize, n: u32, at: Timestamp| Event {
        key: format!("key-{i:06}"),
        step_n: u32::try_from(step + 1).unwrap(),
        kind: EventKind::Done,
        n,
        reason: String::new(),
        at,
    };
    // Twice as long as was reckoned for each.
    let mut events: Vec<Event> =
        (0..cut).map(|i| press(i, i, one.tasks[i].n, Timestamp::UNIX_EPOCH)).collect();
    for i in 0..11_u32 {
        let at = Timestamp::UNIX_EPOCH + jiff::SignedDuration::from_secs_f64(f64::from(i) * each_min * 120.0);
        events.push(press(100 + usize::try_from(i).unwrap(), cut, 1, at));
    }
    let progress = one.batch.progress(&one.tasks, &events);
    let times = Times::of([(one.tasks.as_slice(), &progress)]);
    assert!((times.share(Operation::Cut) - 2.0).abs() < 1e-6, "{:?}", times.paces());
    assert!((times.share(Operation::Check) - 1.0).abs() < 1e-12);
    let lay = |times: &Times| {
        let laid = Laid::out(
            &[wanted(2, "hook-clasp", 11, None)],
            (&Hours::evenings(), &Gear::default(), times),
            &[],
            &noon(date(2026, 3, 2)),
            7,
        );
        laid.sessions.jobs[0].works[cut].each_min
    };
    assert!((lay(&times) / lay(&Times::default()) - 2.0).abs() < 1e-6);
}

#[test]
fn turns_are_counted_of_the_coil_in_hand() {
    let wire = Wire::round(Metal::Copper, 1.02, Temper::Soft);
    let batch = Batch::of("rings", Piece::Rings(RingRequest::new(wire, Mandrel::round(5.0), 300)), 300);
    let tasks = batch.tasks(&Workshop::default()).unwrap();
    let wind = tasks.iter().position(|task| task.step.operation == Operation::Wind).unwrap();
    let mut events: Vec<Event> = vec![];
    let mut tell = |step: usize, happened, n| {
        let progress = batch.progress(&tasks, &events);
        let step_n = u32::try_from(step + 1).unwrap();
        let at = Timestamp::UNIX_EPOCH + i64::try_from(events.len()).unwrap().minutes();
        let event = Event {
            key: format!("key-{:06}", events.len()),
            step_n,
            kind: happened,
            n,
            reason: String::new(),
            at,
        };
        batch.may_happen(&tasks, &progress, &event).map_err(|fault| fault.field)?;
        events.push(event);
        Ok::<u32, String>(batch.progress(&tasks, &events).tasks[wind].turns_done_n)
    };
    for (i, task) in tasks.iter().enumerate().take(wind) {
        tell(i, EventKind::Done, task.n).unwrap();
    }
    assert_eq!(tell(wind, EventKind::Turned, 12), Ok(12));
    assert_eq!(tell(wind, EventKind::Turned, 30), Ok(30));
    assert_eq!(tell(wind, EventKind::Turned, 200_000), Err("n".to_owned()));
    assert_eq!(tell(0, EventKind::Turned, 3), Err("kind".to_owned()));
    assert_eq!(tell(wind, EventKind::Done, 1), Ok(0), "the next coil begins anew");
}
