//! What scales send and people type, line by line: read to the last figure, or refused with the reason.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::rack::stock::scale::read;
use proptest::prelude::*;

/// Lines that are a weight, in grams.
const WEIGHTS: &[(&str, f64)] = &[
    ("182.31 g", 182.31),
    ("182.31g", 182.31),
    ("182.31", 182.31),
    ("0", 0.0),
    ("6.4", 6.4),
    (".82 g", 0.82),
    (".82", 0.82),
    (",82 g", 0.82),
    ("+.82 g", 0.82),
    ("+0.4021 kg", 402.1),
    ("+ 182.31 g", 182.31),
    ("+     182.31 g", 182.31),
    ("+ 12,345 g", 12.345),
    ("S 12,5g", 12.5),
    ("S S    182.31 g", 182.31),
    ("S S      0.82 g", 0.82),
    ("S  +  12.5 g", 12.5),
    ("ST,GS, 3.2 g", 3.2),
    ("ST,GS,+00182.31 g", 182.31),
    ("ST,GS,+  182.31  g", 182.31),
    ("ST,NT,+0012.345kg", 12_345.0),
    ("ST,+0182.31  g", 182.31),
    ("st 12.5 g", 12.5),
    ("ok 12.5 g", 12.5),
    ("N     +   12.50 g", 12.5),
    ("G 12.50 g", 12.5),
    ("Gross: 182.31 g", 182.31),
    ("Net 12.5 g", 12.5),
    ("Weight: 12.5 g", 12.5),
    ("12.5 g *", 12.5),
    ("12.5 g S", 12.5),
    ("12.5 g stable", 12.5),
    ("\u{2}+ 12.50 g\u{3}", 12.5),
    ("12.5\u{a0}g", 12.5),
    ("  7.25g\r", 7.25),
    ("-0.00 g", 0.0),
    ("1,250.5 g", 1250.5),
    ("1.250,5 g", 1250.5),
    ("0,125 g", 0.125),
    ("64.8 gr", 64.8 * 0.064_798_91),
    ("20 dwt", 31.103_476_8),
    ("1 ozt", 31.103_476_8),
    ("2 oz", 56.699_046_25),
    ("1 lb", 453.592_37),
    ("5 ct", 1.0),
    ("500 mg", 0.5),
    ("1,5 kg", 1500.0),
];

/// Lines that are none, and what is said of them.
const REFUSED: &[(&str, &str)] = &[
    ("", "is not a weight. Enter one such as 182.31 g"),
    ("g", "is not a weight. Enter one such as 182.31 g"),
    ("hello", "is not a weight. Enter one such as 182.31 g"),
    ("12 stone", "is not a unit of weight. Use g, kg, mg, oz, ozt, dwt, gr, ct or lb"),
    ("12.5 g 3", "is not a weight. Enter one such as 182.31 g"),
    ("12.5 13.5 g", "is not a weight. Enter one such as 182.31 g"),
    ("12.5.7 g", "is not a weight. Enter one such as 182.31 g"),
    ("..82 g", "is not a weight. Enter one such as 182.31 g"),
    ("x12.5 g", "is not a weight. Enter one such as 182.31 g"),
    ("lot 7: 12.5 g", "is not a weight. Enter one such as 182.31 g"),
    ("12.5 g please", "is not a weight. Enter one such as 182.31 g"),
    ("S D   182.31 g", "The scale is not steady yet. Wait, then take the reading again"),
    ("SD 182.31 g", "The scale is not steady yet. Wait, then take the reading again"),
    ("US,GS,+ 182.31 g", "The scale is not steady yet. Wait, then take the reading again"),
    ("US 12.5 g", "The scale is not steady yet. Wait, then take the reading again"),
    ("12.5 g ?", "The scale is not steady yet. Wait, then take the reading again"),
    ("? 12.5 g", "The scale is not steady yet. Wait, then take the reading again"),
    ("12.5 ?", "The scale is not steady yet. Wait, then take the reading again"),
    ("unstable 12.5 g", "The scale is not steady yet. Wait, then take the reading again"),
    ("12.5 g unstable", "The scale is not steady yet. Wait, then take the reading again"),
    ("OL", "The scale is overloaded. Take some weight off"),
    ("OL,GS,+999999.9 g", "The scale is overloaded. Take some weight off"),
    ("S +", "The scale is overloaded. Take some weight off"),
    ("^^^^^^", "The scale is overloaded. Take some weight off"),
    ("overload", "The scale is overloaded. Take some weight off"),
    ("S -", "pan is off"),
    ("UL", "pan is off"),
    ("______", "pan is off"),
    ("------", "reports a fault"),
    ("Err", "reports a fault"),
    ("ERR 4", "reports a fault"),
    ("E1", "reports a fault"),
    ("Error-03", "reports a fault"),
    ("S I", "reports a fault"),
    ("-12.5 g", "is below zero. Zero the scale first"),
    ("- 12.5 g", "is below zero. Zero the scale first"),
    ("\u{2212}12.5 g", "is below zero. Zero the scale first"),
    ("\u{2013} 12.5 g", "is below zero. Zero the scale first"),
    ("ST,GS,-00012.5 g", "is below zero. Zero the scale first"),
    ("1,250 g", "could be 1.25 or 1250"),
    ("1,250", "could be 1.25 or 1250"),
    ("9999999 kg", "too large"),
];

#[test]
fn a_scales_line_is_read() {
    for (line, grams) in WEIGHTS {
        let found = read(line);
        let right = found.as_ref().is_ok_and(|found| (found - grams).abs() < 1e-9 * grams.max(1.0));
        assert!(right, "{line:?}: {found:?}, not {grams}");
    }
}

#[test]
fn a_line_that_is_no_weight_says_why() {
    for (line, says) in REFUSED {
        let found = read(line);
        let text = found.as_ref().is_err_and(|fault| fault.field == "typed" && fault.message.contains(says));
        assert!(text, "{line:?}: {found:?}, not {says:?}");
    }
}

proptest! {
    /// Whatever is written before or behind a weight is understood or refused, never passed over.
    #[test]
    fn nothing_is_passed_over(junk in "[a-z0-9]{1,8}", front in any::<bool>()) {
        let line = if front { format!("{junk} 12.5 g") } else { format!("12.5 g {junk}") };
        let known = [
            "s", "st", "ss", "ok", "stable", "g", "n", "t", "b", "gs", "nt", "tr", "w", "wt", "net", "gross", "tare",
            "brutto", "netto", "weight",
        ];
        prop_assert!(read(&line).is_err() || known.contains(&junk.as_str()), "{line}");
    }

    #[test]
    fn nothing_panics(line in ".{0,60}") {
        let _ = read(&line);
    }
}
