//! What is typed into the fields of a form, and what a maker books: read as meant, or refused with a way on.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::fault::Faults;
use lorimant_core::rack::stock::{Movement, MovementKind};
use lorimant_core::reading::field::{ReadField, Reads, TypedField, read};
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::Section;
use lorimant_core::wire::surface::Surface;
use lorimant_core::words::gauge::{Gauge, GaugeSystem};
use lorimant_core::words::length::{self, Habits, LengthUnit};
use lorimant_core::words::number::{read_count, separated, unmistakable};
use lorimant_core::words::scale::{of_wire, scales};
use proptest::prelude::*;
use rstest::rstest;

const INCHES: Habits = Habits { unit: LengthUnit::Inch, gauge: GaugeSystem::Awg };

fn copper() -> Wire {
    Wire {
        metal: Metal::Copper,
        section: Section::Round,
        size_mm: 1.0,
        temper: Temper::Soft,
        surface: Surface::Bare,
        lot: None,
    }
}

fn one(text: &str, reads: Reads, habits: Habits) -> Result<ReadField, Faults> {
    let field = TypedField { field: "it".into(), text: text.into(), input: reads, needed: false };
    read(&[field], Some(&copper()), habits).map(|found| found[0].clone())
}

#[rstest]
#[case(Reads::Length, "5", 5.0)]
#[case(Reads::Length, "3/16\"", 4.7625)]
#[case(Reads::Length, "18 awg", 1.023_687_3)]
#[case(Reads::Length, "1,5 mm", 1.5)]
#[case(Reads::Length, "0.5", 0.5)]
#[case(Reads::Length, " 0,5 mm ", 0.5)]
#[case(Reads::Length, "0.02 in", 0.508)]
#[case(Reads::Length, "1 cm", 10.0)]
#[case(Reads::Over, "1.5", 1.5)]
#[case(Reads::Over, "-1.5 mm", -1.5)]
#[case(Reads::Over, "− 1/16 in", -1.5875)]
#[case(Reads::OfWire, "3 m", 3000.0)]
#[case(Reads::OfWire, "10 ft", 3048.0)]
#[case(Reads::OfWire, "1,250.0 mm", 1250.0)]
#[case(Reads::Mass, "12.5", 12.5)]
#[case(Reads::Mass, "12,5 g", 12.5)]
#[case(Reads::Mass, "1 kg", 1000.0)]
#[case(Reads::Mass, "2 oz", 56.699_046_25)]
#[case(Reads::Percent, "5", 0.05)]
#[case(Reads::Percent, "2,5 %", 0.025)]
#[case(Reads::Count, "24", 24.0)]
#[case(Reads::Count, "1,200", 1200.0)]
#[case(Reads::Count, "two dozen", 24.0)]
#[case(Reads::Minutes, "12", 12.0)]
#[case(Reads::Minutes, "1.5 h", 90.0)]
#[case(Reads::Minutes, "3 min", 3.0)]
#[case(Reads::Newtons, "20 N", 20.0)]
#[case(Reads::Newtons, "500 g", 4.903_325)]
#[case(Reads::Newtons, "0,5 kg", 4.903_325)]
#[case(Reads::Newtons, "200", 1.961_33)]
fn a_field_is_read_in_its_own_unit(#[case] reads: Reads, #[case] text: &str, #[case] value: f64) {
    let found = one(text, reads, Habits::default()).unwrap();
    assert!((found.value.unwrap() - value).abs() < 1e-6, "{text}: {:?}", found.value);
}

#[rstest]
#[case("14.80", "14.80")]
#[case("14,80", "14.80")]
#[case("1,250.50", "1250.50")]
#[case("1,250,000", "1250000")]
#[case("1.250,50", "1250.50")]
#[case("1250", "1250")]
#[case("0.125", "0.125")]
fn money_keeps_what_was_typed(#[case] text: &str, #[case] amount: &str) {
    assert_eq!(one(text, Reads::Money, Habits::default()).unwrap().money.unwrap().to_string(), amount);
}

#[rstest]
#[case("18:00", 18, 0)]
#[case("18.30", 18, 30)]
#[case("6:30pm", 18, 30)]
#[case("6 p.m.", 18, 0)]
#[case("12 pm", 12, 0)]
#[case("12:15 am", 0, 15)]
#[case("7", 7, 0)]
#[case("0730", 7, 30)]
#[case("18h30", 18, 30)]
#[case("18 h", 18, 0)]
#[case("18:00:00", 18, 0)]
#[case("noon", 12, 0)]
fn a_time_of_day_is_read_as_people_write_it(#[case] text: &str, #[case] hour: i8, #[case] minute: i8) {
    let found = one(text, Reads::Clock, Habits::default()).unwrap();
    assert_eq!(found.time, Some(jiff::civil::time(hour, minute, 0, 0)));
}

/// A comma before three digits is one sign to some makers and another to others: nothing is guessed.
#[rstest]
#[case(Reads::Money, "1,250", "“1,250” could be 1.25 or 1250. Write it as one of these.")]
#[case(Reads::Mass, "1,250 g", "“1,250” could be 1.25 or 1250. Write it as one of these.")]
#[case(Reads::OfWire, "1,250 mm", "“1,250” could be 1.25 or 1250. Write it as one of these.")]
#[case(Reads::Length, "1,250", "“1,250” could be 1.25 or 1250. Write it as one of these.")]
#[case(Reads::Over, "-1,250", "“1,250” could be 1.25 or 1250. Write it as one of these.")]
#[case(Reads::Minutes, "1,250", "“1,250” could be 1.25 or 1250. Write it as one of these.")]
#[case(Reads::Money, "1.240.50", "“1.240.50” is not a valid amount of money. Write it as 14.80.")]
#[case(Reads::Money, "1,2,3", "“1,2,3” is not a valid amount of money. Write it as 14.80.")]
#[case(Reads::Money, "a lot", "“a lot” is not a valid amount of money. Write it as 14.80.")]
#[case(Reads::Percent, "few", "“few” is not a valid share in percent. Write it as 5.")]
#[case(Reads::Count, "2.5", "“2.5” is not a valid whole number. Write it as 24.")]
#[case(Reads::Newtons, "much", "“much” is not a valid load. Write it as 500 g.")]
#[case(Reads::Minutes, "long", "“long” is not a valid time. Write it as 12 or 1.5 h.")]
#[case(Reads::Clock, "six", "“six” is not a valid time of day. Write it as 18:00 or 6 pm.")]
#[case(Reads::Clock, "25:00", "“25:00” is not a valid time of day. Write it as 18:00 or 6 pm.")]
#[case(Reads::Clock, "13 pm", "“13 pm” is not a valid time of day. Write it as 18:00 or 6 pm.")]
#[case(Reads::Clock, "18:60", "“18:60” is not a valid time of day. Write it as 18:00 or 6 pm.")]
#[case(Reads::Clock, "18:5", "“18:5” is not a valid time of day. Write it as 18:00 or 6 pm.")]
#[case(Reads::Clock, "-6", "“-6” is not a valid time of day. Write it as 18:00 or 6 pm.")]
#[case(Reads::OfWire, "some", "“some” is neither a length nor a weight. Try 3 m, 10 ft or 50 g.")]
#[case(Reads::Mass, "50 mm", "“50 mm” is not a valid weight. Write it as 12.5 g.")]
fn what_cannot_be_read_or_may_be_two_things_is_refused(
    #[case] reads: Reads,
    #[case] text: &str,
    #[case] sentence: &str,
) {
    let faults = one(text, reads, Habits::default()).unwrap_err();
    assert_eq!((faults.0[0].field.as_str(), faults.0[0].message.as_str()), ("it", sentence));
}

#[rstest]
#[case("2, 3, 5 mm", &[2.0, 3.0, 5.0])]
#[case("1,5; 2,3", &[1.5, 2.3])]
#[case("1/16, 1/8 in", &[1.5875, 3.175])]
fn several_lengths_stand_in_one_field(#[case] text: &str, #[case] values: &[f64]) {
    let found = one(text, Reads::Lengths, Habits::default()).unwrap().values.unwrap();
    assert_eq!(found, values);
}

#[test]
fn a_bare_number_is_the_workshops_unit() {
    assert_eq!(one("2", Reads::Length, INCHES).unwrap().value, Some(50.8));
    assert_eq!(one("2", Reads::Length, Habits::default()).unwrap().value, Some(2.0));
}

#[test]
fn every_fault_of_a_form_is_found_at_once_and_nothing_typed_is_nothing() {
    let field = |name: &str, text: &str, reads, needed| TypedField {
        field: name.into(),
        text: text.into(),
        input: reads,
        needed,
    };
    let form = [
        field("size", "", Reads::Length, true),
        field("price", "dear", Reads::Money, false),
        field("tare", "", Reads::Mass, false),
    ];
    let faults = read(&form, None, Habits::default()).unwrap_err();
    let at: Vec<&str> = faults.0.iter().map(|fault| fault.field.as_str()).collect();
    assert_eq!(at, ["size", "price"]);
    assert_eq!(faults.0[0].message, "Nothing entered. Write it as 5 mm, 3/16\" or 18 awg.");
    let found = read(&form[2..], None, Habits::default()).unwrap();
    assert_eq!((found[0].value, found[0].money), (None, None));
}

#[test]
fn a_weight_of_wire_is_its_length_and_needs_a_wire() {
    let found = one("50 g", Reads::OfWire, Habits::default()).unwrap().value.unwrap();
    assert!((copper().mass_g(found) - 50.0).abs() < 1e-4);
    let field = TypedField { field: "it".into(), text: "50 g".into(), input: Reads::OfWire, needed: false };
    let faults = read(&[field], None, Habits::default()).unwrap_err();
    assert_eq!(faults.0[0].message, "Enter the wire first.");
}

#[rstest]
#[case(MovementKind::Bought, "2 m", 2000.0)]
#[case(MovementKind::Cut, "2 m", -2000.0)]
#[case(MovementKind::Trimmed, "0.5 mm", -0.5)]
#[case(MovementKind::Tried, "120 mm", -120.0)]
#[case(MovementKind::Scrapped, "1 ft", -304.8)]
#[case(MovementKind::Corrected, "-120 mm", -120.0)]
#[case(MovementKind::Corrected, "−120 mm", -120.0)]
#[case(MovementKind::Corrected, "+120 mm", 120.0)]
#[case(MovementKind::Corrected, "120 mm", 120.0)]
fn a_movement_goes_the_way_its_kind_does(#[case] kind: MovementKind, #[case] text: &str, #[case] mm: f64) {
    let line = Movement::typed(kind, text, "", &copper(), Habits::default()).unwrap();
    assert!((line.length_mm - mm).abs() < 1e-9, "{line:?}");
}

#[rstest]
#[case(MovementKind::Bought, "-2 m", "Wire that was bought goes one way only. Write “2 m” without a sign.")]
#[case(MovementKind::Cut, "-2 m", "Wire that was cut goes one way only. Write “2 m” without a sign.")]
#[case(MovementKind::Cut, "", "“” is neither a length nor a weight. Try 3 m, 10 ft or 50 g.")]
#[case(
    MovementKind::Cut,
    "0 mm",
    "The length is zero. It can be from 0.001 to 10000000 mm (0 to 393701 in)."
)]
fn a_movement_that_cannot_be_is_refused_where_it_was_typed(
    #[case] kind: MovementKind,
    #[case] text: &str,
    #[case] sentence: &str,
) {
    let faults = Movement::typed(kind, text, "", &copper(), Habits::default()).unwrap_err();
    assert_eq!((faults.0[0].field.as_str(), faults.0[0].message.as_str()), ("typed", sentence));
}

#[rstest]
#[case(0.5, LengthUnit::Mm, "0.5 mm")]
#[case(999.94, LengthUnit::Mm, "999.9 mm")]
#[case(1000.0, LengthUnit::Mm, "1 m")]
#[case(-2350.0, LengthUnit::Mm, "-2.35 m")]
#[case(304.8, LengthUnit::Inch, "1 ft")]
#[case(30480.0 * 1.5, LengthUnit::Inch, "150 ft")]
fn a_length_of_wire_is_read_in_the_unit_it_reads_best_in(
    #[case] mm: f64,
    #[case] unit: LengthUnit,
    #[case] text: &str,
) {
    assert_eq!(of_wire(mm, unit), text);
}

#[test]
fn the_gauge_nearest_to_a_length_is_found_in_every_system() {
    let reading = length::read("1.2 mm", Habits::default()).unwrap();
    assert_eq!(reading.nearest.len(), GaugeSystem::ALL.len());
    for gauge in &reading.nearest {
        let off = |number| (Gauge { system: gauge.system, number }.mm() / 1.2).ln().abs();
        let best = Gauge::numbers(gauge.system).map(off).fold(f64::INFINITY, f64::min);
        assert!((off(gauge.number) - best).abs() < 1e-12, "{gauge}");
    }
    assert!(length::read("-1 mm", Habits::default()).unwrap().nearest.is_empty());
}

proptest! {
    /// What a form shows of a number it reads again as that number, with either decimal sign.
    #[test]
    fn a_number_shown_is_read_again(value in 0.0..1e6_f64, places in 0_usize..5) {
        let text = length::shown(value, places);
        let read = unmistakable(&text).unwrap();
        prop_assert!((read - text.parse::<f64>().unwrap()).abs() < 1e-9);
        if places != 3 {
            prop_assert_eq!(unmistakable(&text.replace('.', ",")), Ok(read));
        }
    }

    /// Thousands parted by commas are the number they part.
    #[test]
    fn thousands_are_read_as_they_are_parted(n in 1_000_u32..999_999) {
        let text = format!("{},{:03}", n / 1000, n % 1000);
        prop_assert_eq!(read_count(&text), Some(f64::from(n)));
        let open = separated(&text).unwrap().0;
        prop_assert_eq!(open.thousands, Some(f64::from(n)));
        prop_assert_eq!(unmistakable(&format!("{text}.00")), Ok(f64::from(n)));
    }

    /// The scales of a unit meet: no length falls between them, and each reads on the one before it.
    #[test]
    fn every_length_has_one_scale(mm in 0.0..1e7_f64) {
        for unit in LengthUnit::ALL {
            let scales = scales(*unit);
            prop_assert!(scales[0].from_mm <= mm);
            prop_assert!(scales.windows(2).all(|pair| pair[0].from_mm < pair[1].from_mm));
            let text = of_wire(mm, *unit);
            let (number, _) = text.split_once(' ').unwrap();
            let scale = scales.iter().rfind(|scale| scale.from_mm <= mm).unwrap();
            let step = 10f64.powi(-i32::try_from(scale.places_n).unwrap());
            prop_assert!((number.parse::<f64>().unwrap() * scale.one_mm - mm).abs() <= 0.51 * step * scale.one_mm);
        }
    }

    /// No text makes a field fail in any other way than with a sentence.
    #[test]
    fn nothing_typed_panics(text in "\\PC{0,24}", which in 0_usize..10) {
        let reads = Reads::ALL[which % Reads::ALL.len()];
        if let Err(faults) = one(&text, reads, Habits::default()) {
            prop_assert!(faults.0[0].message.ends_with('.'), "{:?}", faults);
        }
    }
}
