//! Shown workings: the numbers in a figure's formula, worked out again by a reader of their own, come to the figure.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{bench, kinds, ring_of};
use lorimant_core::chain::ChainRequest;
use lorimant_core::figure::Figure;
use lorimant_core::making::{Changes, Inserted, Operation};
use lorimant_core::pattern::PatternRequest;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::cutting::{Cutting, Method};
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::Section;
use lorimant_core::wire::surface::Surface;
use proptest::prelude::*;

/// Units that a number may carry, the longest first.
const UNITS: [&str; 9] = ["N·mm²", "N·mm", "g/cm³", "turns", "mm³", "mm²", "MPa", "mm", "N"];

/// What a formula with numbers comes to: sums, products, quotients, brackets, powers, π. None where it holds anything else but
/// names before, and units behind, a number.
fn worth(text: &str) -> Option<f64> {
    let mut reader = Reader { rest: text.trim() };
    let value = reader.sum()?;
    ["", "g", "%"].contains(&reader.rest.trim()).then_some(value)
}

struct Reader<'a> {
    rest: &'a str,
}

impl Reader<'_> {
    fn takes(&mut self, signs: &[char]) -> Option<char> {
        let rest = self.rest.trim_start();
        let sign = rest.chars().next().filter(|c| signs.contains(c))?;
        self.rest = &rest[sign.len_utf8()..];
        Some(sign)
    }

    fn sum(&mut self) -> Option<f64> {
        let mut value = self.product()?;
        while let Some(sign) = self.takes(&['+', '−', '-']) {
            let next = self.product()?;
            value += if sign == '+' { next } else { -next };
        }
        Some(value)
    }

    fn product(&mut self) -> Option<f64> {
        let mut value = self.atom()?;
        while let Some(sign) = self.takes(&['×', '·', '/', '÷']) {
            let next = self.atom()?;
            value = if matches!(sign, '×' | '·') { value * next } else { value / next };
        }
        Some(value)
    }

    fn atom(&mut self) -> Option<f64> {
        let value = if self.takes(&['√']).is_some() {
            self.atom()?.sqrt()
        } else if self.takes(&['(']).is_some() {
            let value = self.sum()?;
            self.takes(&[')'])?;
            value
        } else if self.takes(&['π']).is_some() {
            std::f64::consts::PI
        } else if self.takes(&['−']).is_some() {
            -self.atom()?
        } else {
            // `front 11.00`: what it is stands before it.
            let rest = self
                .rest
                .trim_start()
                .trim_start_matches(|c: char| c.is_alphabetic() || c == ' ' || c == '-');
            let end = rest.find(|c: char| !c.is_ascii_digit() && c != '.').unwrap_or(rest.len());
            let number = rest[..end].parse().ok()?;
            self.rest = &rest[end..];
            let after = self.rest.trim_start();
            if let Some(unit) = UNITS.iter().find(|unit| after.starts_with(**unit)) {
                self.rest = &after[unit.len()..];
            }
            number
        };
        if self.takes(&['^']).is_some() {
            return Some(value.powf(self.atom()?));
        }
        Some(match self.takes(&['²', '³']) {
            Some('²') => value.powi(2),
            Some(_) => value.powi(3),
            None => value,
        })
    }
}

/// Figures of which nothing is worked out by a formula in numbers: measured off the drawing, found by a search, or given in
/// words.
const TOLD: [&str; 11] = [
    "hand-effort",
    "required",
    "repeat",
    "chain-across",
    "wire",
    "mass",
    "minutes",
    "ring-inside",
    "coil-inside",
    "strain-used",
    "rings",
];

/// How much of the unit of the working stands in one of the figure: metres to millimetres, a share in percent, pull by weight.
fn scale(unit: &str) -> f64 {
    const STANDARD_GRAVITY: f64 = 9.80665;
    match unit {
        "m" => 1000.0,
        "cm" => 10.0,
        "%" => 0.01,
        "kg" => STANDARD_GRAVITY,
        "g" => STANDARD_GRAVITY / 1000.0,
        _ => 1.0,
    }
}

/// Whether what a working comes to is the figure, as its instrument reads it.
fn is_of(figure: &Figure, text: f64, near: f64) -> bool {
    let Ok(value) = figure.value.parse::<f64>() else { return true };
    let weighed = figure.key.ends_with("mass") || figure.key == "weight";
    let scale = if weighed { 1.0 } else { scale(figure.unit) };
    let places = figure.value.split_once('.').map_or(0, |(_, after)| after.len());
    let place = match figure.unit {
        // Two figures.
        "kg" | "g" if !weighed => place_of(&figure.value),
        // A caliper reads twentieths below 2 mm, tenths above.
        "mm" if figure.inch.is_some() && value < 2.0 && places == 2 => 0.05,
        _ => 10f64.powi(-i32::try_from(places).unwrap()),
    };
    (text - value * scale).abs() <= near + 0.51 * place * scale
}

/// The place of the last figure that counts: 10 of `670`, 0.1 of `1.2`.
fn place_of(text: &str) -> f64 {
    match text.split_once('.') {
        Some((_, after)) => 10f64.powi(-i32::try_from(after.len()).unwrap()),
        None => 10f64.powi(i32::try_from(text.len() - text.trim_end_matches('0').len()).unwrap()),
    }
}

/// Whether each part of a working comes to what it says, and the last to the figure itself; how many parts there are.
fn adds_up(figure: &Figure) -> Result<usize, String> {
    let numbers = &figure.working.numbers;
    let at = format!("{} {} {}: {numbers}", figure.key, figure.value, figure.unit);
    let mut parts = 0;
    let mut ends_in = vec![];
    for whole in numbers.split(';').filter(|part| part.contains('=')) {
        let part = whole.split(", so ").next().unwrap();
        let (left, shown) = part.split_once('=').unwrap();
        let (Some(comes_to), Some(text)) = (worth(left), worth(shown)) else {
            return Err(format!("unread {at}"));
        };
        // What it comes to is rounded to the places shown, and so are the numbers it is made of.
        let places = shown
            .split_once('.')
            .map_or(0, |(_, after)| after.chars().take_while(char::is_ascii_digit).count());
        let place = 10f64.powi(-i32::try_from(places).unwrap());
        let terms = left.split_whitespace().filter(|part| part.parse::<f64>().is_ok()).count() as f64;
        let near = (comes_to - text).abs() <= 0.51 * place * (terms + 1.0) + 0.01 + 0.0015 * text.abs();
        if !near {
            return Err(at);
        }
        parts += 1;
        ends_in.push((text, 0.51 * place));
        // `= 62.96, so 63`: rounded up to what can be counted, or to the ruler's next mark.
        if let Some(rounded) = whole.split_once(", so ").and_then(|(_, rounded)| worth(rounded)) {
            ends_in.push((rounded, 0.0));
        }
    }
    if !ends_in.is_empty() && !ends_in.iter().any(|(text, near)| is_of(figure, *text, *near)) {
        return Err(format!("the figure is another: {at}"));
    }
    if parts == 0 && !TOLD.contains(&figure.key) {
        Err(format!("nothing is worked out: {at}"))
    } else {
        Ok(parts)
    }
}

/// How many sums some figures show; fails where one does not come to what it says.
fn checked(figures: &[Figure]) -> Result<usize, TestCaseError> {
    let mut all = 0;
    for figure in figures {
        match adds_up(figure) {
            Ok(parts) => all += parts,
            Err(why) => prop_assert!(false, "{why}"),
        }
    }
    Ok(all)
}

/// What is changed about the route of a finding.
const WAYS: [&str; 5] = [
    "{}",
    r#"{"with": [{"operation": "tumble"}]}"#,
    r#"{"with": [{"operation": "straighten", "before": "make-flush", "pulls_n": 8}]}"#,
    r#"{"methods": {"flat_to": "spool"}}"#,
    r#"{"methods": {"cut": "long"}}"#,
];

fn rings() -> impl Strategy<Value = RingRequest> {
    let metal = prop::sample::select(vec![Metal::Copper, Metal::Brass, Metal::FineSilver]);
    let section = prop::sample::select(Section::ALL.to_vec());
    let method = prop::sample::select(Method::ALL.to_vec());
    let made = (0..12_u32, prop::option::of(0.6..0.95_f64), 0..4_usize);
    (metal, section, method, 0.6..2.0_f64, 3.0..8.0_f64, 1..400_u32, made).prop_map(
        |(metal, section, method, size_mm, ratio, rings_n, (pulls_n, hammered, finish))| {
            let joined = [Operation::Flux, Operation::Solder, Operation::Quench, Operation::Pickle];
            let put_in: &[Operation] =
                [&[][..], &[Operation::Tumble][..], &joined[..], &[Operation::Anneal][..]][finish];
            let with = put_in.iter().map(|one| Inserted {
                before: (*one == Operation::Anneal).then_some(Operation::Wind),
                ..Inserted::of(*one)
            });
            RingRequest {
                wire: Wire {
                    metal,
                    section,
                    size_mm,
                    temper: Temper::Soft,
                    surface: Surface::Bare,
                    lot: None,
                },
                rings_n,
                pulls_n,
                hammered_mm: hammered.map(|share| share * size_mm).filter(|_| section != Section::HalfRound),
                route: Changes { with: with.collect(), ..Changes::default() },
                cutting: Cutting { method, ..Cutting::default() },
                ..ring_of(size_mm, size_mm * ratio)
            }
        },
    )
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(96))]

    #[test]
    fn the_workings_of_rings_come_to_their_figures(request in rings()) {
        let Ok(finished) = request.finished(&bench()) else { return Ok(()) };
        let n = checked(&finished.figures(&request, &bench()))?;
        prop_assert!(n >= 5, "only {} sums are shown", n);
    }

    #[test]
    fn the_workings_of_findings_come_to_their_figures(kind in kinds(), size in 0.8..1.2_f64, way in 0..WAYS.len()) {
        let mut request = PatternRequest::usual(kind);
        request.wire.size_mm *= size;
        request.route = serde_json::from_str(WAYS[way]).unwrap();
        let Some(worked) = request.sheet(&bench()).result else { return Ok(()) };
        let n = checked(&worked.figures)?;
        prop_assert!(n >= 6, "{:?} shows {} sums", kind, n);
    }

    #[test]
    fn the_workings_of_chains_come_to_their_figures(
        weave in prop::sample::select(vec!["two-in-two", "byzantine", "european-four-in-one"]),
        ratio in 3.5..6.0_f64, length_mm in 60.0..500.0_f64, chains_n in 1..4_u32,
    ) {
        let request = ChainRequest { chains_n, ..ChainRequest::new(weave, ring_of(1.2, 1.2 * ratio), length_mm) };
        let Some(worked) = request.sheet(&bench()).result else { return Ok(()) };
        prop_assert!(checked(&worked.figures)? >= 5, "too few sums");
    }
}

#[test]
fn the_reader_of_workings_works() {
    assert_eq!(worth("2 × (3 + 4) / 7 mm"), Some(2.0));
    assert_eq!(worth("10 − 4 · 2"), Some(2.0));
    assert_eq!(worth("√9 + 2²"), Some(7.0));
    assert_eq!(worth("(2 / 1)^3 − front 1.5 mm"), Some(6.5));
    assert_eq!(worth("pitch × 2"), None);
    assert_eq!(worth("2 parsecs"), None);
}
