//! Shown workings: the numbers in a figure's formula, worked out again by a reader of their own, come to the figure.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{bench, kinds, ring_of};
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

/// What a formula with numbers comes to: sums, products, quotients, brackets, π, √, powers of two and three; none
/// where it holds anything else. Units at its end are left out.
fn worth(text: &str) -> Option<f64> {
    let mut reader = Reader { rest: text.trim() };
    let value = reader.sum()?;
    let unit = reader.rest.trim();
    let known = ["", "mm", "g", "N", "turns", "%", "mm²", "mm³", "N·mm"];
    known.contains(&unit).then_some(value)
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
        } else {
            let rest = self.rest.trim_start();
            let end = rest.find(|c: char| !c.is_ascii_digit() && c != '.').unwrap_or(rest.len());
            let number = rest[..end].parse().ok()?;
            self.rest = &rest[end..];
            number
        };
        Some(match self.takes(&['²', '³']) {
            Some('²') => value.powi(2),
            Some(_) => value.powi(3),
            None => value,
        })
    }
}

/// Whether the right side of a working is what its left side comes to; none where it is no such sum.
fn adds_up(figure: &Figure) -> Option<Result<(), String>> {
    let (left, shown) = figure.working.numbers.rsplit_once('=')?;
    let left = left.rsplit('=').next()?;
    let numbers: f64 = left.split_whitespace().filter(|part| part.parse::<f64>().is_ok()).map(|_| 1.0).sum();
    let (left, right) = (worth(left)?, worth(shown)?);
    // What it comes to is rounded to the places shown, and so are the numbers it is made of.
    let places =
        shown.split_once('.').map_or(0, |(_, after)| after.chars().take_while(char::is_ascii_digit).count());
    let place = 10f64.powi(-i32::try_from(places).unwrap());
    let near = (left - right).abs() <= 0.51 * place * (numbers + 1.0) + 0.01 + 0.004 * right.abs();
    Some(if near { Ok(()) } else { Err(format!("{}: {}", figure.key, figure.working.numbers)) })
}

/// How many of some figures show a sum that can be checked; fails where one does not come to what it says.
fn checked(figures: &[Figure]) -> Result<usize, TestCaseError> {
    let sums: Vec<_> = figures.iter().filter_map(adds_up).collect();
    for sum in &sums {
        prop_assert!(sum.is_ok(), "{:?}", sum);
    }
    Ok(sums.len())
}

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
    fn the_workings_of_findings_come_to_their_figures(kind in kinds(), size in 0.8..1.2_f64) {
        let mut request = PatternRequest::usual(kind);
        request.wire.size_mm *= size;
        let Some(worked) = request.sheet(&bench()).result else { return Ok(()) };
        prop_assert!(checked(&worked.figures)? >= 1, "{:?} shows no sum", kind);
    }
}

#[test]
fn the_reader_of_workings_works() {
    assert_eq!(worth("2 × (3 + 4) / 7 mm"), Some(2.0));
    assert_eq!(worth("10 − 4 · 2"), Some(2.0));
    assert_eq!(worth("√9 + 2²"), Some(7.0));
    assert_eq!(worth("pitch × 2"), None);
    assert_eq!(worth("2 parsecs"), None);
}
