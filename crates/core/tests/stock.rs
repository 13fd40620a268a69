//! The rack: what lots weigh and cost, what a booking takes, what a scale says, what is to be bought.
#![allow(clippy::unwrap_used, missing_docs)]

use std::f64::consts::PI;

use lorimant_core::rack::stock::StockKind;
use lorimant_core::rack::stock::booking::{BlanksCut, LotCut};
use lorimant_core::rack::stock::buying::{Need, StockLevel, needs, shortest_useful_mm};
use lorimant_core::rack::stock::scrap::{Cleanliness, MetalPrice, Scrap, ScrapChange};
use lorimant_core::rack::stock::weighing::Held;
use lorimant_core::rack::stock::{Lot, Movement, MovementKind, both_ways};
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::Section;
use lorimant_core::wire::surface::Surface;
use lorimant_core::words::length::LengthUnit;
use proptest::prelude::*;
use rstest::rstest;
use rust_decimal::Decimal;

fn lot() -> Lot {
    Lot {
        name: "Blue spool".to_owned(),
        kind: StockKind::Spool,
        wire: Wire::round(Metal::Copper, 1.0, Temper::Soft),
        surface: Surface::Bare,
        skin_share: None,
        price: Some(Decimal::new(940, 2)),
        bought_mm: Some(20_000.0),
        bought_on: Some("2026-06-11".to_owned()),
        tare_g: Some(62.0),
        note: String::new(),
        pulls: vec![],
    }
}

fn money(text: &str) -> Decimal {
    text.parse().unwrap()
}

#[test]
fn a_lot_weighs_and_costs_what_is_left_of_it() {
    let balance = lot().balance(5000.0);
    // 5 m of π/4 mm² at 8.96 g/cm³, and a quarter of the price.
    let grams = 5.0 * PI / 4.0 * Metal::Copper.figures().density_g_cm3;
    assert!((balance.left_g - grams).abs() < 1e-9);
    assert!((balance.gross_g - grams - 62.0).abs() < 1e-9);
    assert_eq!((balance.per_metre, balance.value), (Some(money("0.47")), Some(money("2.35"))));
}

#[test]
fn a_lot_without_a_price_has_no_value() {
    let balance = Lot { price: None, ..lot() }.balance(5000.0);
    assert_eq!((balance.value, balance.per_metre), (None, None));
}

#[rstest]
#[case::no_name(Lot { name: "  ".into(), ..lot() }, "name", "1 to 60")]
#[case::size(Lot { wire: Wire::round(Metal::Copper, 0.0, Temper::Soft), ..lot() }, "wire.size_mm", "zero")]
#[case::bare_has_no_skin(Lot { skin_share: Some(0.05), ..lot() }, "skin_share", "wire has no outer layer of metal. Leave the share out")]
#[case::skin(Lot { skin_share: Some(0.9), surface: Surface::Filled, ..lot() }, "skin_share", "too large")]
#[case::tare(Lot { tare_g: Some(-1.0), ..lot() }, "tare_g", "negative")]
#[case::price(Lot { price: Some(money("-3")), ..lot() }, "price", "is not a possible amount. Enter 0 to")]
#[case::no_such_day(Lot { bought_on: Some("2026-02-30".into()), ..lot() }, "bought_on", "not a date")]
#[case::note(Lot { note: "x".repeat(501), ..lot() }, "note", "500")]
#[case::bought(Lot { bought_mm: Some(f64::NAN), ..lot() }, "bought_mm", "not a number")]
fn what_is_wrong_with_a_lot_is_said_at_its_field(#[case] lot: Lot, #[case] field: &str, #[case] says: &str) {
    let faults = lot.check().unwrap_err().0;
    assert!(faults.iter().any(|f| f.field == field && f.message.contains(says)), "{faults:?}");
}

#[rstest]
#[case(Surface::Plated, Metal::Copper, None, Some(0.01))]
#[case(Surface::Filled, Metal::GoldFilled, None, Some(0.05))]
#[case(Surface::Filled, Metal::SilverFilled, None, Some(0.1))]
#[case(Surface::Filled, Metal::GoldFilled, Some(0.07), Some(0.07))]
#[case(Surface::Coated, Metal::Copper, None, None)]
fn skins_have_their_usual_share(
    #[case] surface: Surface,
    #[case] metal: Metal,
    #[case] text: Option<f64>,
    #[case] share: Option<f64>,
) {
    let lot = Lot { surface, wire: Wire::round(metal, 0.8, Temper::Soft), skin_share: text, ..lot() };
    assert_eq!(lot.skin(), share);
}

#[rstest]
#[case(MovementKind::Bought, 100.0, true)]
#[case(MovementKind::Bought, -100.0, false)]
#[case(MovementKind::Cut, -100.0, true)]
#[case(MovementKind::Cut, 100.0, false)]
#[case(MovementKind::Tried, 1.0, false)]
#[case(MovementKind::Scrapped, -1.0, true)]
#[case(MovementKind::Corrected, 7.0, true)]
#[case(MovementKind::Corrected, -7.0, true)]
#[case(MovementKind::Corrected, 0.0, false)]
#[case(MovementKind::Bought, f64::INFINITY, false)]
fn wire_goes_the_way_its_kind_says(#[case] kind: MovementKind, #[case] length_mm: f64, #[case] right: bool) {
    let line = Movement { kind, length_mm, note: String::new() };
    assert_eq!(line.check().is_ok(), right);
}

fn cut(cuts: &[(f64, u32)], losses: [f64; 3]) -> LotCut {
    let cuts =
        cuts.iter().map(|(length_mm, n)| BlanksCut { what: "hooks".into(), length_mm: *length_mm, n: *n });
    LotCut {
        lot: 1,
        cuts: cuts.collect(),
        trim_mm: losses[0],
        kerf_mm: losses[1],
        shortest_useful_mm: losses[2],
    }
}

fn taken(lines: &[Movement], kind: MovementKind) -> f64 {
    -lines.iter().filter(|line| line.kind == kind).map(|line| line.length_mm).sum::<f64>()
}

#[test]
fn a_booking_takes_blanks_trims_and_a_rest_too_short() {
    // 1000 − 0.6 − 10 · (61.5 + 0.3) − 12 · (26.5 + 0.3) = 59.8, below 60.
    let lines = cut(&[(61.5, 10), (26.5, 12)], [0.6, 0.3, 60.0]).lines(1000.0, LengthUnit::Mm).unwrap();
    assert!((taken(&lines, MovementKind::Cut) - 933.0).abs() < 1e-9);
    assert!((taken(&lines, MovementKind::Trimmed) - 7.2).abs() < 1e-9);
    assert!((taken(&lines, MovementKind::Scrapped) - 59.8).abs() < 1e-9);
    // A rest that is long enough stays.
    let lines = cut(&[(61.5, 10), (26.5, 12)], [0.6, 0.3, 59.0]).lines(1000.0, LengthUnit::Mm).unwrap();
    assert_eq!(taken(&lines, MovementKind::Scrapped), 0.0);
}

#[test]
fn a_booking_says_what_is_missing() {
    let faults = cut(&[(61.5, 2)], [1.0, 0.0, 30.0]).lines(100.0, LengthUnit::Mm).unwrap_err().0;
    assert_eq!(faults[0].field, "cuts");
    assert!(faults[0].message.contains("24 mm short"), "{}", faults[0].message);
}

#[rstest]
#[case::nothing(cut(&[], [0.0; 3]), "cuts", "Leave it out")]
#[case::none_of_it(cut(&[(10.0, 0)], [0.0; 3]), "cuts[0].n", "1 to 100,000")]
#[case::negative(cut(&[(10.0, 1), (-10.0, 1)], [0.0; 3]), "cuts[1].length_mm", "negative")]
#[case::trim(cut(&[(10.0, 1)], [-1.0, 0.0, 0.0]), "trim_mm", "negative")]
#[case::kerf(cut(&[(10.0, 1)], [0.0, f64::NAN, 0.0]), "kerf_mm", "not a number")]
fn a_booking_that_cannot_be_is_refused_at_its_field(
    #[case] cut: LotCut,
    #[case] field: &str,
    #[case] says: &str,
) {
    let faults = cut.lines(1000.0, LengthUnit::Mm).unwrap_err().0;
    assert!(faults.iter().any(|f| f.field == field && f.message.contains(says)), "{faults:?}");
}

proptest! {
    #[test]
    fn a_booking_never_takes_more_than_there_is(
        left in 0.0..5000.0_f64,
        length in 1.0..400.0_f64,
        n in 1..20_u32,
        trim in 0.0..2.0_f64,
        kerf in 0.0..1.0_f64,
        useful in 0.0..200.0_f64,
    ) {
        let needs = trim + f64::from(n) * (length + kerf);
        match cut(&[(length, n)], [trim, kerf, useful]).lines(left, LengthUnit::Mm) {
            Ok(lines) => {
                let out: f64 = lines.iter().map(|line| line.length_mm).sum();
                prop_assert!(out <= 0.0 && left + out >= -1e-6, "{out} of {left}");
                prop_assert!((left + out) < 0.002 || left + out >= useful - 0.002);
                for line in &lines {
                    prop_assert!(line.check().is_ok());
                }
            }
            Err(_) => prop_assert!(needs > left),
        }
    }

    #[test]
    fn length_and_weight_are_two_ways_of_one_amount(metal in 0..16_usize, section in 0..3_usize, size in 0.1..6.0_f64, mm in 1.0..1e6_f64) {
        let wire = Wire { metal: Metal::ALL[metal], section: Section::ALL[section], size_mm: size, temper: Temper::Soft, surface: Surface::Bare, lot: None };
        let (_, grams) = both_ways(&wire, Some(mm), None).unwrap();
        prop_assume!((0.001..1e6).contains(&grams));
        let (back, _) = both_ways(&wire, None, Some(grams)).unwrap();
        prop_assert!((back / mm - 1.0).abs() < 1e-12);
    }

    #[test]
    fn what_is_weighed_is_what_is_there(left in 1.0..50_000.0_f64, ledger in 0.0..50_000.0_f64) {
        let lot = lot();
        let weighed = lot.weighed(lot.balance(left).gross_g, None, Held { left_mm: ledger, most_mm: 1e9 }, LengthUnit::Mm).unwrap();
        prop_assert!((weighed.length_mm - left).abs() < 1e-6 * left);
        prop_assert!((weighed.spread_mm - 0.02 * weighed.length_mm).abs() < 1e-9);
        let corrected = weighed.correction().map_or(0.0, |line| line.length_mm);
        prop_assert!((ledger + corrected - weighed.length_mm).abs() < 0.001);
    }
}

#[test]
fn an_amount_is_given_one_way() {
    let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    assert!(both_ways(&wire, Some(1.0), Some(1.0)).unwrap_err().message.contains("Enter how much it is"));
    assert_eq!(both_ways(&wire, None, None).unwrap_err().field, "length_mm");
    assert_eq!(both_ways(&wire, None, Some(-1.0)).unwrap_err().field, "mass_g");
}

fn held(left_mm: f64) -> Held {
    Held { left_mm, most_mm: 20_000.0 }
}

/// More than there ever was is doubted; the spread of the wire's size is not.
#[test]
fn a_weight_past_what_the_lot_ever_held_is_doubted() {
    let most = Held { left_mm: 9_000.0, most_mm: 20_000.0 };
    let doubt = |mm: f64| lot().weighed(lot().balance(mm).gross_g, None, most, LengthUnit::Mm).unwrap().doubt;
    assert_eq!(doubt(19_999.0), None);
    assert_eq!(doubt(20_700.0), None, "a wire may be as much thicker than it is said to be");
    let doubt = doubt(200_000.0).unwrap();
    assert!(doubt.starts_with("That is more than this lot ever had, 20 m."), "{doubt}");
}

#[test]
fn less_than_the_empty_spool_is_no_wire() {
    assert!(
        lot().weighed(61.0, None, held(100.0), LengthUnit::Mm).unwrap_err().message.contains("empty spool")
    );
}

#[test]
fn a_difference_within_what_a_scale_can_tell_is_not_made_much_of() {
    let lot = lot();
    let near = lot.weighed(lot.balance(10_000.0).gross_g, None, held(10_100.0), LengthUnit::Mm).unwrap();
    assert!(near.text.contains("the same as in stock, as near as the scale can tell"), "{}", near.text);
    let far = lot.weighed(lot.balance(10_000.0).gross_g, None, held(12_000.0), LengthUnit::Mm).unwrap();
    assert!(far.text.contains("2 m less"), "{}", far.text);
}

fn keeping(keep_mm: f64, pack_mm: Option<f64>) -> StockLevel {
    StockLevel {
        wire: Wire::round(Metal::Brass, 1.6, Temper::Soft),
        shortest_useful_mm: None,
        keep_mm,
        pack_mm,
        pack_price: Some(money("22.40")),
        source: "stage workshop".into(),
    }
}

#[rstest]
#[case(10_000.0, 4_000.0, 5_000.0, 0.0, 0)]
#[case(10_000.0, 6_000.0, 5_000.0, 1_000.0, 1)]
#[case(0.0, 25_000.0, 0.0, 25_000.0, 1)]
#[case(0.0, 25_001.0, 0.0, 25_001.0, 2)]
#[case(0.0, 45_000.0, 5_000.0, 50_000.0, 2)]
fn buying_is_in_whole_packs(
    #[case] there: f64,
    #[case] wanted: f64,
    #[case] keep: f64,
    #[case] missing: f64,
    #[case] packs: u32,
) {
    let kept = keeping(keep, Some(25_000.0));
    let need = Need::of(&kept.wire, Some(&kept), there, wanted, LengthUnit::Mm);
    assert_eq!((need.missing_mm, need.packs_n), (missing, Some(packs)));
    assert_eq!(need.cost, Some(money("22.40") * Decimal::from(packs)));
}

#[test]
fn a_wire_whose_pack_is_not_known_is_not_counted_in_packs() {
    let need = Need::of(&Wire::round(Metal::Brass, 1.6, Temper::Soft), None, 0.0, 500.0, LengthUnit::Mm);
    assert_eq!((need.packs_n, need.cost), (None, None));
    assert!(need.text.contains("how it is sold"), "{}", need.text);
}

#[test]
fn lots_and_wants_of_one_wire_are_put_together_and_missing_ones_stand_first() {
    let (brass, copper) =
        (Wire::round(Metal::Brass, 1.6, Temper::Soft), Wire::round(Metal::Copper, 1.0, Temper::Soft));
    let near = Wire { size_mm: 1.003, ..copper.clone() };
    assert!(copper.stands_for(&near));
    let there = [(copper.clone(), 300.0), (near.clone(), 200.0), (brass.clone(), 9000.0)];
    let wanted = [(near, 600.0), (copper, 100.0), (brass, 100.0)];
    let found = needs(&[keeping(1000.0, None)], &there, &wanted, LengthUnit::Mm);
    assert_eq!(found.len(), 2);
    assert_eq!((found[0].wire.metal, found[0].missing_mm), (Metal::Copper, 200.0));
    assert_eq!((found[1].wire.metal, found[1].missing_mm), (Metal::Brass, 0.0));
}

#[test]
fn a_rest_worth_keeping_grows_with_the_wire() {
    assert_eq!(shortest_useful_mm(&Wire::round(Metal::Copper, 0.8, Temper::Soft)), 30.0);
    assert_eq!(shortest_useful_mm(&Wire::round(Metal::Copper, 2.0, Temper::Soft)), 50.0);
    let kept = StockLevel { shortest_useful_mm: Some(70.0), ..keeping(0.0, None) };
    assert_eq!(kept.useful_mm(), 70.0);
}

#[rstest]
#[case(StockLevel { keep_mm: -1.0, ..keeping(0.0, None) }, "keep_mm")]
#[case(StockLevel { pack_mm: Some(0.0), ..keeping(0.0, None) }, "pack_mm")]
#[case(StockLevel { shortest_useful_mm: Some(f64::NAN), ..keeping(0.0, None) }, "shortest_useful_mm")]
#[case(StockLevel { pack_price: Some(money("-1")), ..keeping(0.0, None) }, "pack_price")]
#[case(StockLevel { source: "x".repeat(121), ..keeping(0.0, None) }, "source")]
fn what_is_wrong_with_a_keeping_is_said(#[case] keeping: StockLevel, #[case] field: &str) {
    assert_eq!(keeping.check().unwrap_err().0[0].field, field);
}

#[test]
fn scrap_is_worth_less_the_dirtier_it_is() {
    let prices = [MetalPrice { metal: Metal::SterlingSilver, per_gram: money("1.00") }];
    let worth: Vec<Decimal> = Cleanliness::ALL
        .iter()
        .map(|clean| Scrap::valued(Metal::SterlingSilver, *clean, 100.0, &prices).value.unwrap())
        .collect();
    assert!(worth.windows(2).all(|pair| pair[0] > pair[1]), "{worth:?}");
    assert_eq!(worth[0], money("95.00"));
    assert_eq!(Scrap::valued(Metal::Copper, Cleanliness::Clean, 100.0, &prices).value, None);
}

#[rstest]
#[case(0.0, false)]
#[case(2.0, true)]
#[case(-2.0, true)]
#[case(1e9, false)]
fn scrap_is_put_in_or_taken_out(#[case] mass_g: f64, #[case] right: bool) {
    let change =
        ScrapChange { metal: Metal::Copper, cleanliness: Cleanliness::Dust, mass_g, note: String::new() };
    assert_eq!(change.check().is_ok(), right);
}
