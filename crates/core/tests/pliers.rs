//! Jaws: where a diameter is, what a slip costs, and pliers that cannot be.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::tool::plier::{Jaws, MeasuredPlace, Plier};
use proptest::prelude::*;
use rstest::rstest;

fn round_nose(tip: f64, base: f64, length: f64) -> Plier {
    Plier {
        name: "round-nose".to_owned(),
        jaws: Jaws::RoundNose,
        tip_mm: Some(tip),
        base_mm: Some(base),
        length_mm: Some(length),
        reach_mm: None,
        measured: vec![],
        diameters_mm: vec![],
    }
}

fn steps(jaws: Jaws, diameters_mm: &[f64]) -> Plier {
    let diameters_mm = diameters_mm.to_vec();
    Plier { jaws, diameters_mm, tip_mm: None, base_mm: None, length_mm: None, ..round_nose(1.0, 2.0, 3.0) }
}

proptest! {
    /// `(Ø − tip)/(base − tip) × length` from the tip, and a slip changes it by the taper.
    #[test]
    fn a_diameter_lies_where_the_taper_puts_it(
        tip in 0.5..3.0_f64, grow in 0.5..8.0_f64, length in 10.0..40.0_f64, share in 0.0..1.0_f64,
    ) {
        let plier = round_nose(tip, tip + grow, length);
        let place = plier.place(tip + share * grow).unwrap();
        prop_assert!((place.at_mm.unwrap() - share * length).abs() < 1e-9);
        prop_assert!((place.slip - grow / length).abs() < 1e-12);
        // Two places measured on the same jaw calibrate it to the same.
        let at = |at_mm: f64| MeasuredPlace { at_mm, diameter_mm: tip + grow * at_mm / length };
        let measured = Plier { tip_mm: None, base_mm: None, measured: vec![at(2.0), at(9.0)], ..plier };
        let again = measured.place(tip + share * grow).unwrap();
        prop_assert!((again.at_mm.unwrap() - share * length).abs() < 1e-6);
    }
}

#[test]
fn beyond_its_ends_a_jaw_gives_what_it_has() {
    let plier = round_nose(1.2, 5.5, 24.0);
    let (thin, thick) = (plier.place(0.4).unwrap(), plier.place(9.0).unwrap());
    assert_eq!((thin.diameter_mm, thin.at_mm), (1.2, Some(0.0)));
    assert_eq!((thick.diameter_mm, thick.at_mm), (5.5, Some(24.0)));
    let stepped = steps(Jaws::Stepped, &[2.0, 3.0, 5.0]).place(3.8).unwrap();
    assert_eq!((stepped.diameter_mm, stepped.at_mm, stepped.slip), (3.0, None, 0.0));
}

#[rstest]
#[case(round_nose(3.0, 2.0, 24.0), "base_mm", "no thicker than the tip")]
#[case(round_nose(0.0, 2.0, 24.0), "tip_mm", "0.2")]
#[case(round_nose(1.0, 2.0, 500.0), "length_mm", "120")]
#[case(Plier { name: " ".to_owned(), ..round_nose(1.0, 2.0, 24.0) }, "name", "Enter a name for the pliers")]
#[case(Plier { base_mm: None, ..round_nose(1.0, 2.0, 24.0) }, "tip_mm", "two measured places")]
#[case(steps(Jaws::Stepped, &[]), "diameters_mm", "1 to 12")]
#[case(steps(Jaws::Loop, &[2.0]), "diameters_mm", "exactly 2")]
#[case(steps(Jaws::Stepped, &[2.0, f64::NAN]), "diameters_mm[1]", "")]
fn pliers_that_cannot_be_are_refused_with_a_reason(
    #[case] plier: Plier,
    #[case] field: &str,
    #[case] says: &str,
) {
    let faults = plier.check().unwrap_err().0;
    let fault = faults.iter().find(|fault| fault.field == field).unwrap_or_else(|| panic!("{faults:?}"));
    assert!(fault.message.contains(says), "{}", fault.message);
}
