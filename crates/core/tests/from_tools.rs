//! From what is in hand to the piece: the cut, the jaws, the mark. What comes of it is cut and bent as was said.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::usual;
use lorimant_core::ask::answer;
use lorimant_core::making::Operation;
use lorimant_core::pattern::Kind;
use lorimant_core::pattern::from_tools::Tools;
use lorimant_core::tool::cutting::Method;
use lorimant_core::tool::plier::Plier;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::length::{Habits, LengthUnit};
use rstest::rstest;

fn shop(unit: LengthUnit) -> Workshop {
    let pliers: Vec<Plier> = serde_json::from_str(
        r#"[{"name": "slim round-nose", "jaws": "round-nose", "tip_mm": 1, "base_mm": 5, "length_mm": 20},
            {"name": "wide loop", "jaws": "loop-jaws", "diameters_mm": [5, 7]}]"#,
    )
    .unwrap();
    Workshop { pliers, habits: Habits { unit, ..Habits::default() }, ..Workshop::default() }
}

/// Two, three and five inches: each kind is a piece of that cut, or says what it takes.
#[rstest]
fn every_kind_comes_out_of_a_cut(
    #[values(LengthUnit::Mm, LengthUnit::Inch)] unit: LengthUnit,
    #[values(2.0, 3.0, 5.0)] inches: f64,
) {
    let shop = shop(unit);
    let cut_mm = inches * 25.4;
    let mark = if unit == LengthUnit::Mm { (cut_mm * 2.0).floor() / 2.0 } else { cut_mm };
    for kind in Kind::all() {
        let request = usual(kind.0.kind);
        let tools = Tools { cut_mm: Some(cut_mm), ..Tools::default() };
        let made = match request.from_tools(&tools, &shop) {
            Ok(fitted) => fitted.request,
            Err(faults) => {
                let fault = &faults.0[0];
                // One turn on its own wire cannot be larger, loops have their limits, and tails take their length.
                let known = [("smallest-ring", 3.0), ("smallest-ring", 5.0), ("smallest-ring", 2.0)];
                let limits = [("wrapped-loop-link", 2.0), ("figure-eight", 5.0)];
                let told = (kind.0.kind, inches);
                assert!(known.contains(&told) || limits.contains(&told), "{told:?} {fault:?}");
                assert!(
                    fault.field == "cut_mm"
                        && fault.message.contains(if unit == LengthUnit::Mm { "mm" } else { "in" })
                );
                continue;
            }
        };
        let takes = made.finished(&shop).unwrap().blank.flush_mm;
        assert!(takes <= mark + 1e-6, "{}: {takes} of {mark}", kind.0.kind);
        // Whole and half turns leave part of a turn over; nothing else does.
        let turned = kind.0.free.blank == "turns_n";
        assert!(turned || (takes - mark).abs() < 1.1, "{}: {takes} of {mark}", kind.0.kind);
    }
}

/// On two-jaw pliers a bend near a jaw takes the size that jaw leaves: sprung open a little, by 1/R1 = 1/R0 − M/EI.
#[test]
fn a_bend_takes_the_size_of_the_jaw_it_is_rolled_on() {
    let shop = shop(LengthUnit::Mm);
    let request = usual("open-ear-wire");
    let tools = Tools { plier: Some("Wide loop".to_owned()), ..Tools::default() };
    let made = request.from_tools(&tools, &shop).unwrap().request;
    // The crown of 9 is rolled on the jaw of 7; the loop of 2.2 is far from either, and keeps its own tool.
    let formed = made.form().unwrap();
    let c = 0.8118 / 2.0;
    let left = 2.0 * (1.0 / formed.bending.relaxed(1.0 / (3.5 + c)) - c);
    assert!((made.value("crown_mm") - left).abs() < 2e-3, "{} for {left}", made.value("crown_mm"));
    assert_eq!(made.value("loop_mm"), request.value("loop_mm"));
    // And its route is led on that jaw, without a warning.
    let finished = made.finished(&shop).unwrap();
    let crown = finished.made.steps.iter().find(|step| step.what == "crown").unwrap();
    assert_eq!(crown.numbers.own_mm.or(crown.numbers.tool_mm).map(f64::round), Some(7.0));
    assert!(!crown.misfit, "{:?}", crown.unfit);
}

/// A mark on a tapered jaw: 6 mm from a 1 mm tip at 0.2 mm a millimetre is 2.2 mm across.
#[test]
fn a_mark_on_the_jaw_makes_the_loop() {
    let shop = shop(LengthUnit::Mm);
    let request = usual("eye-pin");
    let tools = Tools { jaw_mm: Some(6.0), ..Tools::default() };
    let made = request.from_tools(&tools, &shop).unwrap().request;
    let finished = made.finished(&shop).unwrap();
    let rolled = finished.made.steps.iter().find(|step| step.operation == Operation::Loop).unwrap();
    assert!((rolled.numbers.jaw_mm.unwrap() - 6.0).abs() < 0.02, "{:?}", rolled.numbers.jaw_mm);
    assert!(made.value("loop_mm") > 2.2, "it springs open");
}

#[rstest]
#[case::unknown(Tools { plier: Some("giant".to_owned()), ..Tools::default() }, "plier", "5/7")]
#[case::no_mark(Tools { plier: Some("slim round-nose".to_owned()), ..Tools::default() }, "jaw_mm", "tip")]
#[case::stepped(Tools { plier: Some("wide loop".to_owned()), jaw_mm: Some(4.0), ..Tools::default() }, "jaw_mm", "taper")]
#[case::nothing(Tools::default(), "cut_mm", "what you have")]
#[case::too_short(Tools { cut_mm: Some(3.0), ..Tools::default() }, "cut_mm", "mm")]
fn what_makes_no_piece_is_said(#[case] tools: Tools, #[case] field: &str, #[case] says: &str) {
    let fault = usual("open-ear-wire").from_tools(&tools, &shop(LengthUnit::Mm)).unwrap_err().0.remove(0);
    assert!(fault.field == field && fault.message.contains(says), "{fault:?}");
}

#[rstest]
#[case("i cut 2 inches: what ear wire do i get?", "open-ear-wire", 50.5)]
#[case("ear wires cut to 48 mm", "open-ear-wire", 48.0)]
#[case("what hook clasp do I get if I cut 2 1/2 in", "hook-clasp", 63.5)]
#[case("50 mm blanks for eye pins", "eye-pin", 50.0)]
fn a_cut_is_asked_in_a_line(#[case] line: &str, #[case] kind: &str, #[case] flush_mm: f64) {
    let shop = shop(LengthUnit::Mm);
    let reply = answer(line, &shop, &Vec::new);
    let made = reply.pattern.unwrap_or_else(|| panic!("{line}: {:?} {:?}", reply.unclear, reply.missing));
    assert_eq!(made.kind.0.kind, kind);
    assert_eq!(made.finished(&shop).unwrap().blank.flush_mm, flush_mm, "{line}: {}", reply.headline);
    assert!(reply.headline.contains("instead of"), "{}", reply.headline);
}

#[rstest]
#[case("ear wires with my 5/7 pliers")]
#[case("what ear wire do i get on the wide loop pliers")]
fn pliers_are_asked_in_a_line(#[case] line: &str) {
    let reply = answer(line, &shop(LengthUnit::Mm), &Vec::new);
    let made = reply.pattern.unwrap_or_else(|| panic!("{line}: {:?} {:?}", reply.unclear, reply.missing));
    assert!((made.value("crown_mm") - 7.6).abs() < 0.1, "{line}: {}", reply.headline);
}

/// A way of cutting before a size is no cut length.
#[rstest]
#[case("120 rings flush cut 5 mm inside copper 18 soft")]
#[case("flush cut 5 mm rings copper 18 ga")]
#[case("rings 5 mm inside double flush cut 1 mm copper")]
fn rings_that_are_flush_cut_are_rings(#[case] line: &str) {
    let reply = answer(line, &shop(LengthUnit::Mm), &Vec::new);
    let plan = reply.request.unwrap_or_else(|| panic!("{line}: {:?} {:?}", reply.unclear, reply.missing));
    assert_eq!(plan.cutting.method, Method::DoubleFlush, "{line}");
}

/// Two inches written with their sign leave nothing behind that is not understood.
#[test]
fn a_cut_is_read_with_the_sign_of_inches() {
    let reply = answer("ear wires cut to 2″", &shop(LengthUnit::Mm), &Vec::new);
    assert!(reply.unclear.is_empty() && reply.headline.contains("50.8 mm"), "{reply:?}");
}

#[test]
fn a_cut_without_a_finding_asks_what_is_made() {
    let reply = answer("what do I get if I cut 2 in", &shop(LengthUnit::Mm), &Vec::new);
    assert!(reply.headline.is_empty() && reply.missing[0].contains("finding"), "{reply:?}");
}
