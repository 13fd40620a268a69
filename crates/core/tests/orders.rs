//! Orders: what covers a line is counted once, what is due first is served first, and what is handed over leaves its bags.
#![allow(clippy::unwrap_used, missing_docs)]

use jiff::civil::{Date, date};
use lorimant_core::bench::{Batch, Event, EventKind};
use lorimant_core::making::{Changes, Inserted, Operation};
use lorimant_core::order::bag::Counting;
use lorimant_core::order::{
    Bag, BatchOnItsWay, Covered, Line, LineProgress, Order, OrderState, WireShort, cover, lines_for,
    short_of, to_begin,
};
use lorimant_core::piece::Piece;
use lorimant_core::ring::{Ends, RingRequest};
use lorimant_core::tool::cutting::{Blade, Cutting};
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::surface::Surface;
use lorimant_core::words::length::{Habits, LengthUnit};
use proptest::prelude::*;
use rstest::rstest;

use crate::common::usual;

fn piece(which: usize) -> Piece {
    Piece::Finding(usual(["hook-clasp", "figure-eight", "open-ear-wire"][which]))
}

fn line(which: usize, n: u32, spares_percent: f64) -> Line {
    Line { name: format!("piece {which}"), piece: piece(which).with_count(n), spares_percent, handed_n: 0 }
}

fn order(due: Option<Date>, lines: Vec<Line>) -> Order {
    Order { customer: "wardrobe".to_owned(), due, note: String::new(), lines }
}

fn bag(which: usize, n: u32, filled_on: Date) -> Bag {
    Bag {
        name: format!("piece {which}"),
        piece: piece(which).with_count(n.max(1)),
        methods: None,
        changes: lorimant_core::making::Changes::default(),
        workshop: None,
        batch: None,
        filled_on,
        place: String::new(),
        n,
        note: String::new(),
    }
}

fn covered(orders: &[Order], bags: &[Bag], batches: &[(usize, u32)]) -> Vec<Vec<LineProgress>> {
    let led: Vec<Batch> = batches.iter().map(|(which, _)| Batch::of("it", piece(*which), 1)).collect();
    let on_their_way: Vec<BatchOnItsWay> =
        led.iter().zip(batches).map(|(batch, (_, n))| BatchOnItsWay { batch, n: *n }).collect();
    let (orders, bags): (Vec<&Order>, Vec<&Bag>) = (orders.iter().collect(), bags.iter().collect());
    cover(&orders, &bags, &on_their_way, &Workshop::default())
}

#[rstest]
// Owed, in bags, on their way, spares → of bags, under way, still to make.
#[case(20, 0, 0, 10.0, (0, 0, 22), OrderState::ToMake)]
#[case(20, 5, 0, 10.0, (5, 0, 17), OrderState::ToMake)]
#[case(20, 20, 0, 10.0, (20, 0, 0), OrderState::Ready)]
#[case(20, 5, 15, 0.0, (5, 15, 0), OrderState::InTheMaking)]
// The spares of a batch are no pieces that are owed; one that is scrapped comes out of them.
#[case(20, 0, 22, 10.0, (0, 20, 0), OrderState::InTheMaking)]
#[case(20, 0, 21, 10.0, (0, 20, 0), OrderState::InTheMaking)]
#[case(20, 0, 19, 10.0, (0, 19, 2), OrderState::ToMake)]
fn a_line_is_covered_from_bags_then_batches_then_the_rest_is_made(
    #[case] owed: u32,
    #[case] bagged: u32,
    #[case] under_way: u32,
    #[case] spares: f64,
    #[case] expected: (u32, u32, u32),
    #[case] state: OrderState,
) {
    let orders = [order(None, vec![line(0, owed, spares)])];
    let progress = &covered(&orders, &[bag(0, bagged, date(2026, 3, 1))], &[(0, under_way)])[0][0];
    assert_eq!((progress.in_bags_n, progress.under_way_n, progress.to_make_n), expected);
    assert_eq!(progress.state, state);
}

#[test]
fn what_is_due_first_is_served_first() {
    let orders = [
        order(None, vec![line(0, 10, 0.0)]),
        order(Some(date(2026, 5, 9)), vec![line(0, 10, 0.0)]),
        order(Some(date(2026, 4, 1)), vec![line(0, 10, 0.0)]),
    ];
    let progress = covered(&orders, &[bag(0, 15, date(2026, 3, 1))], &[]);
    let in_bags: Vec<u32> = progress.iter().map(|lines| lines[0].in_bags_n).collect();
    assert_eq!(in_bags, [0, 5, 10]);
}

#[test]
fn the_same_piece_in_other_wire_covers_nothing() {
    let thick = Wire::round(Metal::Brass, 1.63, Temper::Soft);
    let orders =
        [order(None, vec![Line { piece: piece(0).in_wire(thick).with_count(4), ..line(0, 4, 0.0) }])];
    assert_eq!(covered(&orders, &[bag(0, 9, date(2026, 3, 1))], &[])[0][0].in_bags_n, 0);
    let ring = |rod, n| {
        Piece::Rings(RingRequest::new(Wire::round(Metal::Copper, 1.0, Temper::Soft), Mandrel::round(rod), n))
    };
    assert!(ring(5.0, 40).same_in_hand(&ring(5.0, 900), &Workshop::default()));
    assert!(!ring(5.0, 40).same_in_hand(&ring(5.5, 40), &Workshop::default()));
}

/// Who receives a ring sees its size, wire, hardness and finish, never the rod, the blade or the thumb it was made with.
#[test]
fn a_piece_is_what_is_received_and_not_how_it_was_made() {
    let shop = Workshop::default();
    let wire = Wire::round(Metal::FineSilver, 1.0, Temper::Soft);
    let open = RingRequest::new(wire.clone(), Mandrel::round(5.0), 40);
    let like = |other: RingRequest| Piece::Rings(open.clone()).same_in_hand(&Piece::Rings(other), &shop);
    let route = |operations: &[Operation]| Changes {
        with: operations.iter().map(|one| Inserted::of(*one)).collect(),
        ..Changes::default()
    };
    let rod = Mandrel { name: Some("knitting needle".to_owned()), ..Mandrel::round(5.0) };
    assert!(like(RingRequest { mandrel: rod, rings_n: 7, ..open.clone() }));
    let coarse = Cutting { blade: Some(Blade::ALL[4]), ..Cutting::default() };
    assert!(like(RingRequest { cutting: coarse, ..open.clone() }));
    assert!(like(RingRequest { ends: Ends { anchor_mm: 30.0, ..Ends::default() }, ..open.clone() }));
    let fused = route(&[Operation::Flux, Operation::Fuse, Operation::Quench, Operation::Pickle]);
    assert!(!like(RingRequest { route: fused.clone(), ..open.clone() }), "fused");
    assert!(!like(RingRequest { route: route(&[Operation::Tumble]), ..open.clone() }), "tumbled");
    assert!(!like(RingRequest { hammered_mm: Some(0.8), ..open.clone() }), "hammered");
    assert!(
        !like(RingRequest { wire: Wire { temper: Temper::Hard, ..wire.clone() }, ..open.clone() }),
        "hard"
    );
    assert!(!like(RingRequest { wire: Wire { surface: Surface::Coated, ..wire }, ..open.clone() }), "coated");
    // An order for fused rings is not covered by a bag of open ones, and says that they are fused.
    let wanted = Piece::Rings(RingRequest { route: fused, ..open.clone() });
    assert!(wanted.sentence_finished(LengthUnit::Mm, &shop).ends_with(" Fused."));
    let lines = vec![Line { piece: wanted, ..line(0, 20, 0.0) }];
    let bagged = Bag { piece: Piece::Rings(open), ..bag(0, 90, date(2026, 3, 1)) };
    assert_eq!(covered(&[order(None, lines)], &[bagged], &[])[0][0].in_bags_n, 0);
}

#[test]
fn handing_over_empties_the_oldest_bags_first() {
    let wanted = order(None, vec![line(0, 20, 0.0)]);
    let bags = [bag(0, 9, date(2026, 3, 9)), bag(1, 50, date(2026, 1, 1)), bag(0, 8, date(2026, 3, 1))];
    let bags: Vec<&Bag> = bags.iter().collect();
    let (after, taken) = wanted.hand_over(0, 10, &bags, &Workshop::default()).unwrap();
    assert_eq!(after.lines[0].handed_n, 10);
    let left: Vec<(usize, u32)> = taken.iter().map(|(at, bag)| (*at, bag.n)).collect();
    assert_eq!(left, [(2, 0), (0, 7)]);
    for (line, n, text) in
        [(0, 21, "20 of piece 0 are still owed"), (0, 18, "17 of piece 0 are in bags"), (1, 1, "no line 2")]
    {
        let fault = wanted.hand_over(line, n, &bags, &Workshop::default()).unwrap_err();
        assert!(fault.message.contains(text), "{}", fault.message);
    }
}

#[test]
fn what_cannot_be_ordered_is_said_at_its_field() {
    let mut wrong = order(None, vec![line(0, 4, 101.0), line(1, 0, 0.0)]);
    wrong.lines[0].handed_n = 5;
    wrong.customer = "x".repeat(81);
    wrong.due = Some(date(26, 5, 1));
    let fields: Vec<String> = wrong.check().unwrap_err().0.into_iter().map(|fault| fault.field).collect();
    assert_eq!(
        fields,
        ["customer", "due", "lines[0].spares_percent", "lines[0].handed_n", "lines[1].pieces_n"]
    );
    assert_eq!(order(None, vec![]).check().unwrap_err().0[0].field, "lines");
}

/// A batch of which everything is done but for what was scrapped at its last step that counts pieces.
fn done(batch: &Batch, scrapped_n: u32) -> Vec<Event> {
    let tasks = batch.tasks(&Workshop::default()).unwrap();
    let last = tasks.iter().rposition(|task| task.n == batch.pieces_n()).unwrap();
    let mut events: Vec<Event> = vec![];
    let mut tell = |at: usize, happened, n| {
        let (key, reason) = (format!("key-{:06}", events.len()), String::new());
        let step_n = u32::try_from(at + 1).unwrap();
        events.push(Event { key, step_n, kind: happened, n, reason, at: jiff::Timestamp::UNIX_EPOCH });
    };
    for (at, task) in tasks.iter().enumerate() {
        let lost = if at < last || task.n == 1 { 0 } else { scrapped_n };
        tell(at, EventKind::Done, task.n - lost);
        if at == last && lost > 0 {
            tell(at, EventKind::Scrapped, lost);
        }
    }
    events
}

#[test]
fn a_bag_holds_what_came_of_its_batch_and_makes_it_again() {
    let batch = Batch::of("ear wires", piece(2), 6);
    let tasks = batch.tasks(&Workshop::default()).unwrap();
    let begun = batch.progress(&tasks, &[]);
    assert!(Bag::of(&batch, 3, &begun, date(2026, 3, 2), "").unwrap_err().message.contains("isn't done yet"));
    let progress = batch.progress(&tasks, &done(&batch, 3));
    let bag = Bag::of(&batch, 3, &progress, date(2026, 3, 2), "drawer 4").unwrap();
    // Twelve were begun, three are scrapped: four pairs, and one without its pair.
    assert_eq!((bag.n, bag.note.contains("without its pair")), (4, true));
    assert!(bag.piece.same_in_hand(&batch.piece, &Workshop::default()));
    let again = bag.again(10, &Workshop::default());
    assert_eq!((again.pieces_n(), again.methods), (20, batch.methods));
    assert_eq!(bag.counted(Counting::PutBack, 2).unwrap().n, 6);
    assert_eq!(bag.counted(Counting::CountedAgain, 0).unwrap().n, 0);
    assert!(bag.counted(Counting::PutBack, 0).is_err());
    assert!(bag.counted(Counting::CountedAgain, 2_000_000).is_err());
}

#[test]
fn a_bag_tells_its_recipe_as_it_was_made_and_makes_it_again_with_the_tools_of_now() {
    let then = Workshop::default();
    let batch = Batch::begun("ear wires", piece(2), 6, &then);
    let tasks = batch.tasks(&then).unwrap();
    let progress = batch.progress(&tasks, &done(&batch, 0));
    let bag = Bag::of(&batch, 3, &progress, date(2026, 3, 2), "drawer 4").unwrap();
    let label = bag.label(&then);
    let inches = Habits { unit: LengthUnit::Inch, ..then.habits };
    let now = Workshop { habits: inches, ..then };
    assert_eq!(bag.label(&now), label);
    let instructions = |batch: &Batch| -> Vec<String> {
        batch.tasks(&now).unwrap().into_iter().map(|task| task.step.text).collect()
    };
    assert_eq!(instructions(&bag.as_made(6)), instructions(&batch));
    let again = bag.again(6, &now);
    assert_ne!(instructions(&again), instructions(&batch));
    // What is begun again stays as it is begun.
    let later = Workshop { habits: Workshop::default().habits, ..now.clone() };
    let texts = |workshop| again.tasks(workshop).unwrap().into_iter().map(|task| task.step.text);
    assert!(texts(&later).eq(texts(&now)));
}

/// What is due first takes the wire there is; what is missing in all is what is wanted less what there is.
#[rstest]
fn wire_is_short_of_what_is_due_last(#[values(0.0, 0.5, 1.5, 2.5, 3.5)] lengths: f64) {
    let shop = Workshop::default();
    // Without a day, late, early: served the other way round.
    let orders: Vec<Order> = [None, Some(date(2026, 5, 20)), Some(date(2026, 5, 1))]
        .map(|due| order(due, vec![line(0, 12, 0.0)]))
        .into();
    let progress = covered(&orders, &[], &[]);
    let all: Vec<Covered> = (1..)
        .zip(orders.iter().zip(&progress))
        .map(|(id, (order, lines))| Covered { id, order, lines })
        .collect();
    let (wanted, _) = to_begin(&all, &shop);
    let wire = piece(0).wire().clone();
    let each_mm = short_of(&wanted, &[], &shop)[0].short_mm;
    let short = short_of(&wanted, &[(wire, lengths * each_mm)], &shop);
    let of = |id: i64| -> f64 {
        short.iter().filter(|one| one.orders.contains(&id)).map(|one| one.short_mm).sum::<f64>() / each_mm
    };
    let expected = [3, 2, 1].map(|turn: u32| (f64::from(turn) - lengths).clamp(0.0, 1.0));
    for (id, expected) in (1..).zip(expected) {
        assert!((of(id) - expected).abs() < 1e-9, "order {id}: {} of {expected}", of(id));
    }
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(128))]

    /// Nothing covers two lines; nothing is made that is covered; whoever owes nothing gets nothing.
    #[test]
    fn what_is_there_covers_once(
        lines in prop::collection::vec((0_usize..3, 1_u32..40, 0_u32..40, 0.0..30.0_f64), 1..8),
        bags in prop::collection::vec((0_usize..3, 0_u32..40), 0..5),
        batches in prop::collection::vec((0_usize..3, 0_u32..40), 0..5),
        dues in prop::collection::vec(prop::option::of(1_i8..28), 8),
    ) {
        let orders: Vec<Order> = lines.iter().zip(&dues).map(|((which, n, handed, spares), due)| {
            let one = Line { handed_n: (*handed).min(*n), ..line(*which, *n, *spares) };
            order(due.map(|day| date(2026, 4, day)), vec![one])
        }).collect();
        let bags: Vec<Bag> = bags.iter().map(|(which, n)| bag(*which, *n, date(2026, 3, 1))).collect();
        let progress = covered(&orders, &bags, &batches);
        for which in 0..3 {
            let of_it = || lines.iter().zip(&progress).filter(|((one, ..), _)| *one == which);
            let from_bags: u32 = of_it().map(|(_, at)| at[0].in_bags_n).sum();
            let under_way: u32 = of_it().map(|(_, at)| at[0].under_way_n).sum();
            let bagged: u32 = bags.iter().filter(|bag| bag.piece.same_in_hand(&piece(which), &Workshop::default())).map(|bag| bag.n).sum();
            let made: u32 = batches.iter().filter(|(one, _)| *one == which).map(|(_, n)| n).sum();
            let owed: u32 = of_it().map(|(_, at)| at[0].to_deliver_n).sum();
            prop_assert!(from_bags == bagged.min(owed));
            prop_assert!(under_way <= made);
        }
        for ((_, n, handed, _), at) in lines.iter().zip(&progress) {
            let at = &at[0];
            prop_assert_eq!(at.to_deliver_n, n.saturating_sub(*handed));
            let short = at.to_deliver_n - at.in_bags_n - at.under_way_n;
            prop_assert!((at.to_make_n == 0) == (short == 0) && at.to_make_n >= short);
        }
    }
}

/// Lines in one wire are one shortage, rounded up to what a metre stick shows.
#[test]
fn what_an_order_is_short_of_is_said_once_for_each_wire() {
    let short = |orders: &[i64], wire: &str, short_mm| WireShort {
        orders: orders.to_vec(),
        wire: wire.to_owned(),
        short_mm,
    };
    let all = [
        short(&[1], "copper", 439.9),
        short(&[1, 2], "copper", 223.2),
        short(&[1], "brass", 1500.0),
        short(&[2], "brass", 9.0),
    ];
    assert_eq!(lines_for(1, &all, LengthUnit::Mm), ["670 mm of copper", "1.5 m of brass"]);
    assert_eq!(lines_for(3, &all, LengthUnit::Mm), Vec::<String>::new());
}
