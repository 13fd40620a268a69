//! What a piece costs: sums worked by hand, and laws.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::piece::Piece;
use lorimant_core::rack::cost::{CostRequest, CostStart};
use lorimant_core::rack::stock::price::{OnRack, Rack};
use lorimant_core::rack::stock::scrap::MetalPrice;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::metal::Metal;
use lorimant_core::words::length::{Habits, LengthUnit};
use proptest::prelude::*;
use rstest::rstest;
use rust_decimal::Decimal;

fn money(text: &str) -> Decimal {
    text.parse().unwrap()
}

fn request() -> CostRequest {
    CostRequest {
        wire_mm: 60.0,
        loss_share: 0.05,
        wire_price: money("13.20"),
        price_of_foot: false,
        consumables: money("0.10"),
        minutes: 4.0,
        setting_up_minutes: 30.0,
        hour_rate: money("24"),
        bought: Some(money("4.00")),
        bought_pair: false,
        pieces_n: 24,
    }
}

#[test]
fn a_piece_costs_its_wire_its_consumables_and_its_hands() {
    let cost = request().cost().unwrap();
    // 0.06 · 1.05 · 13.2 = 0.8316; 4 min at 24 = 1.6; half an hour over 24 = 0.5.
    assert_eq!((cost.wire, cost.hand), (money("0.8316"), money("2.1000")));
    assert_eq!((cost.each, cost.pair, cost.all), (money("3.0316"), money("6.0632"), money("72.76")));
    // 4.00 − 2.5316 saved on each; 12 spent once: the ninth piece pays.
    assert_eq!(cost.break_even_n, Some(9));
    // 24 · (4 − 0.9316) over 2.1 hours.
    assert_eq!(cost.hour_earns, Some(money("35.07")));
    assert!(cost.text.contains("from 9 pieces."), "{}", cost.text);
}

#[test]
fn making_what_is_cheaper_bought_never_pays() {
    let cost = CostRequest { bought: Some(money("2.00")), ..request() }.cost().unwrap();
    assert_eq!(cost.break_even_n, None);
    assert!(cost.hour_earns.unwrap() < money("24"));
    assert!(cost.text.contains("is never cheaper to make at this rate"), "{}", cost.text);
}

#[test]
fn hands_that_are_not_counted_are_asked_for() {
    let cost =
        CostRequest { minutes: 0.0, setting_up_minutes: 0.0, bought: None, ..request() }.cost().unwrap();
    assert!(cost.text.contains("not counted yet"), "{}", cost.text);
    assert_eq!(cost.hour_earns, None);
}

#[rstest]
#[case(CostRequest { wire_mm: 0.0, ..request() }, "wire_mm")]
#[case(CostRequest { loss_share: 1.5, ..request() }, "loss_share")]
#[case(CostRequest { wire_price: money("-1"), ..request() }, "wire_price")]
#[case(CostRequest { consumables: money("20000000"), ..request() }, "consumables")]
#[case(CostRequest { minutes: f64::INFINITY, ..request() }, "minutes")]
#[case(CostRequest { setting_up_minutes: -1.0, ..request() }, "setting_up_minutes")]
#[case(CostRequest { hour_rate: money("-1"), ..request() }, "hour_rate")]
#[case(CostRequest { bought: Some(money("-0.01")), ..request() }, "bought")]
#[case(CostRequest { pieces_n: 0, ..request() }, "pieces_n")]
fn what_is_wrong_is_said_at_its_field(#[case] request: CostRequest, #[case] field: &str) {
    assert_eq!(request.cost().unwrap_err().0[0].field, field);
}

proptest! {
    /// Bought at what it costs to make, an hour earns exactly its rate.
    #[test]
    fn at_its_own_cost_an_hour_earns_its_rate(minutes in 0.5..60.0_f64, rate in 1..100_u32, n in 1..500_u32) {
        let request = CostRequest { minutes, hour_rate: Decimal::from(rate), pieces_n: n, ..request() };
        let each = request.cost().unwrap().each;
        let cost = CostRequest { bought: Some(each), ..request }.cost().unwrap();
        let off = cost.hour_earns.unwrap() - Decimal::from(rate);
        // `each` is rounded to 0.0001, shared out over the minutes of a piece.
        prop_assert!(off.abs() < money("0.02"), "{off}");
    }

    /// From the break-even count on, and not one piece before, making them all is cheaper than buying.
    #[test]
    fn the_break_even_count_is_the_first_that_pays(bought in 260..900_i64, setting_up in 0.0..120.0_f64) {
        let with = |n| CostRequest { bought: Some(Decimal::new(bought, 2)), setting_up_minutes: setting_up, pieces_n: n, ..request() };
        let n = with(1).cost().unwrap().break_even_n.unwrap();
        prop_assume!(n < 100_000);
        let saved = |n: u32| Decimal::new(bought, 2) * Decimal::from(n) - with(n).cost().unwrap().all;
        prop_assert!(saved(n) > money("-0.02"), "{n}: {}", saved(n));
        if n > 1 {
            prop_assert!(saved(n - 1) < money("0.02"), "{}: {}", n - 1, saved(n - 1));
        }
    }
}

fn hooks() -> PatternRequest {
    PatternRequest {
        pieces_n: 12,
        ..PatternRequest::usual(Kind::all().find(|kind| kind.0.kind == "open-ear-wire").unwrap())
    }
}

fn shop(unit: LengthUnit) -> Workshop {
    Workshop { habits: Habits { unit, ..Habits::default() }, ..Workshop::default() }
}

#[test]
fn a_start_takes_what_the_lots_cost() {
    let wire = hooks().wire;
    let lot = |price| OnRack { wire: wire.clone(), left_mm: 1000.0, per_metre: Some(money(price)) };
    let rack = Rack::new([lot("12"), lot("14")], vec![]);
    let start = CostStart::of(&Piece::Finding(hooks()), &rack, money("24"), &shop(LengthUnit::Mm)).unwrap();
    assert_eq!((start.request.wire_price, start.request.pieces_n), (money("13.0000"), 24));
    let blank = hooks().form().unwrap().blank(LengthUnit::Mm);
    assert!((start.request.wire_mm - blank.cut_mm).abs() <= 0.05 + 1e-9);
    assert!(start.price_from.contains("2 lots"), "{}", start.price_from);
    // The minutes are those of its route.
    let shop = shop(LengthUnit::Mm);
    let piece = Piece::Finding(hooks());
    let route = piece.route(&shop).unwrap();
    assert!((start.request.minutes - route.totals.each_min).abs() <= 0.05 + 1e-9);
}

#[test]
fn without_a_lot_the_metals_price_counts_and_without_that_none() {
    let wire = hooks().wire;
    let metals = vec![MetalPrice { metal: Metal::SterlingSilver, per_gram: money("1") }];
    let prices = Rack::new([], metals);
    let purpose = Piece::Finding(hooks());
    let start = CostStart::of(&purpose, &prices, money("24"), &shop(LengthUnit::Mm)).unwrap();
    let metre: f64 = start.request.wire_price.try_into().unwrap();
    assert!((metre - wire.mass_g(1000.0)).abs() < 1e-4);
    // Where inches are read first, wire is priced by the foot, and a piece costs what it did.
    let by_foot = CostStart::of(&purpose, &prices, money("24"), &shop(LengthUnit::Inch)).unwrap();
    let foot: f64 = by_foot.request.wire_price.try_into().unwrap();
    assert!((foot - wire.mass_g(304.8)).abs() < 1e-4);
    let same = CostRequest { wire_price: money("3.048"), price_of_foot: true, ..start.request.clone() };
    let same = same.cost().unwrap().wire;
    assert_eq!(CostRequest { wire_price: money("10"), ..start.request }.cost().unwrap().wire, same);
    let start = CostStart::of(&purpose, &Rack::default(), money("24"), &shop(LengthUnit::Mm)).unwrap();
    assert_eq!(start.request.wire_price, Decimal::ZERO);
    assert!(
        start.price_from.contains("Neither this wire nor its metal has a price yet. Enter one"),
        "{}",
        start.price_from
    );
}

/// A pair bought at twice the price is one bought at that price, and what is counted in pairs is asked for in pairs.
#[test]
fn what_is_sold_in_pairs_is_set_against_a_pair() {
    let one = CostRequest { bought: Some(money("3.40")), ..request() };
    let pair = CostRequest { bought: Some(money("6.80")), bought_pair: true, ..request() };
    let (one, pair) = (one.cost().unwrap(), pair.cost().unwrap());
    assert_eq!((one.break_even_n, one.hour_earns), (pair.break_even_n, pair.hour_earns));
    let dear = CostRequest { bought: Some(money("0.10")), bought_pair: true, ..request() };
    assert!(dear.cost().unwrap().text.contains("Bought for 0.1, a pair is never cheaper to make"));
    let start = |piece: Piece| {
        CostStart::of(&piece, &Rack::default(), Decimal::ZERO, &shop(LengthUnit::Mm))
            .unwrap()
            .request
            .bought_pair
    };
    assert!(start(Piece::Finding(hooks())));
    assert!(!start(Piece::Finding(PatternRequest { count_singles: true, ..hooks() })));
}

#[test]
fn none_made_cost_nothing_that_could_be_said() {
    let fault = CostRequest { pieces_n: 0, ..request() }.cost().unwrap_err().0.remove(0);
    assert_eq!(
        (fault.field.as_str(), fault.message.as_str()),
        ("pieces_n", "0 is not a number of pieces. Enter 1 to 1,000,000.")
    );
}
