//! Gauges and typed lengths.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::words::gauge::{Gauge, GaugeSystem, table};
use lorimant_core::words::length::{Habits, LengthUnit, read, written};
use proptest::prelude::*;
use rstest::rstest;

/// Inches as the standards print them: AWG after ASTM B258, to the last digit printed.
#[rstest]
#[case(-3, 0.4600, 4)]
#[case(0, 0.3249, 4)]
#[case(1, 0.2893, 4)]
#[case(10, 0.1019, 4)]
#[case(12, 0.0808, 4)]
#[case(14, 0.0641, 4)]
#[case(16, 0.0508, 4)]
#[case(18, 0.0403, 4)]
#[case(20, 0.0320, 4)]
#[case(21, 0.0285, 4)]
#[case(22, 0.0253, 4)]
#[case(24, 0.0201, 4)]
#[case(26, 0.0159, 4)]
#[case(28, 0.0126, 4)]
#[case(30, 0.0100, 4)]
#[case(36, 0.0050, 4)]
#[case(40, 0.0031, 4)]
fn awg_agrees_with_the_standard(#[case] number: i32, #[case] inch: f64, #[case] places: i32) {
    let there = Gauge::new(GaugeSystem::Awg, number).unwrap().mm() / 25.4;
    let step = 10f64.powi(places);
    assert_eq!((there * step).round(), (inch * step).round());
}

#[rstest]
#[case(GaugeSystem::Swg, 0, 0.324)]
#[case(GaugeSystem::Swg, 18, 0.048)]
#[case(GaugeSystem::Swg, 20, 0.036)]
#[case(GaugeSystem::Swg, 27, 0.0164)]
#[case(GaugeSystem::Swg, 40, 0.0048)]
#[case(GaugeSystem::SteelWire, 18, 0.0475)]
#[case(GaugeSystem::SteelWire, 20, 0.0348)]
fn tables_agree_with_their_standards(#[case] system: GaugeSystem, #[case] number: i32, #[case] inch: f64) {
    assert!((Gauge::new(system, number).unwrap().mm() - inch * 25.4).abs() < 1e-12);
}

#[rstest]
#[case(GaugeSystem::Awg, 44)]
#[case(GaugeSystem::Swg, 41)]
#[case(GaugeSystem::SteelWire, 41)]
fn tables_are_whole_and_fall(#[case] system: GaugeSystem, #[case] rows: usize) {
    let rows_there = table(system);
    assert_eq!(rows_there.len(), rows);
    assert!(rows_there.windows(2).all(|pair| pair[1].size_mm < pair[0].size_mm));
}

#[rstest]
#[case("5", 5.0)]
#[case("5mm", 5.0)]
#[case(" 0.5 cm ", 5.0)]
#[case("1,5 mm", 1.5)]
#[case("3/16\"", 4.7625)]
#[case("3/16 in", 4.7625)]
#[case("2 1/4 in", 57.15)]
#[case("2-1/4\"", 57.15)]
#[case(".040\"", 1.016)]
#[case("2.5 m", 2500.0)]
#[case("6 ft", 1828.8)]
#[case("18 swg", 1.2192)]
#[case("36 AWG", 0.127)]
#[case("4/0 awg", 11.684)]
#[case("18 w&m", 1.2065)]
fn lengths_are_read_as_people_write_them(#[case] text: &str, #[case] mm: f64) {
    let reading = read(text, Habits::default()).unwrap();
    assert!((reading.mm - mm).abs() < 1e-9, "{} is {}", text, reading.mm);
}

#[test]
fn a_bare_gauge_takes_the_default_system_and_says_so() {
    let american = read("18ga", Habits::default()).unwrap();
    assert!((american.mm - 1.02369).abs() < 1e-5);
    assert!(american.note.unwrap().contains("AWG"));
    let british = read("18 ga", Habits { gauge: GaugeSystem::Swg, unit: LengthUnit::Mm }).unwrap();
    assert!((british.mm - 1.2192).abs() < 1e-9);
    assert!(british.note.unwrap().contains("SWG"));
}

#[test]
fn a_bare_number_is_inches_where_inches_come_first() {
    let reading = read("0.25", Habits { unit: LengthUnit::Inch, gauge: GaugeSystem::Awg }).unwrap();
    assert!((reading.mm - 6.35).abs() < 1e-12);
    assert!(reading.note.unwrap().contains("inches"));
}

#[rstest]
#[case("")]
#[case("five")]
#[case("5 mmm")]
#[case("3/0 in")]
#[case("99 awg")]
#[case("5 mm 6")]
#[case("1e400")]
fn what_is_no_length_gets_a_sentence(#[case] text: &str) {
    let text = read(text, Habits::default()).unwrap_err();
    assert!(text.ends_with('.'), "{text}");
}

#[test]
fn a_size_is_written_in_mm_inches_and_both_gauges() {
    assert_eq!(
        written(1.0),
        "1 mm = 0.0394 in, nearest 18 AWG (1.024 mm, 2.4 % thicker), nearest 19 SWG (1.016 mm, 1.6 % thicker)"
    );
    assert_eq!(written(1.2192), "1.219 mm = 0.048 in, nearest 16 AWG (1.291 mm, 5.9 % thicker) = 18 SWG");
}

proptest! {
    #[test]
    fn nothing_typed_panics(text in ".{0,30}") {
        let _ = read(&text, Habits::default());
    }

    /// The nearest gauge is nearer than its neighbours.
    #[test]
    fn nearest_gauge_is_nearest(mm in 0.13..8.0f64, system in proptest::sample::select(GaugeSystem::ALL)) {
        let near = Gauge::nearest(system, mm);
        let off = |gauge: Gauge| (gauge.mm() / mm).ln().abs();
        for step in [-1, 1] {
            if let Some(other) = Gauge::new(system, near.number + step) {
                prop_assert!(off(near) <= off(other));
            }
        }
    }
}
