//! Cut plans: against every possibility in small cases, against the bound in large ones.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::piece::Piece;
use lorimant_core::rack::cut_plan::picked::{Picked, by_wire, remaining};
use lorimant_core::rack::cut_plan::{CutPlan, CutRequest, Demand, Progress, Stock};
use lorimant_core::rack::stock::StockKind;
use lorimant_core::rack::stock::booking::BlanksCut;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::words::length::LengthUnit;
use proptest::prelude::*;
use rstest::rstest;

fn request(stock: &[(f64, StockKind)], demand: &[(f64, u32)], losses: [f64; 3]) -> CutRequest {
    let [trim_mm, kerf_mm, shortest_useful_mm] = losses;
    let stock = stock.iter().enumerate().map(|(i, (length_mm, kind))| Stock {
        id: format!("s{i}"),
        length_mm: *length_mm,
        kind: *kind,
    });
    let demand = demand.iter().enumerate().map(|(i, (length_mm, n))| Demand {
        id: format!("d{i}"),
        length_mm: *length_mm,
        ruler_mm: None,
        n: *n,
        pair: false,
    });
    CutRequest { stock: stock.collect(), demand: demand.collect(), trim_mm, kerf_mm, shortest_useful_mm }
}

fn solved(request: &CutRequest) -> CutPlan {
    request.solve(LengthUnit::Mm, &|_| true).unwrap()
}

/// Everything a plan says about itself, worked out again from its cuts alone.
fn is_valid(request: &CutRequest, plan: &CutPlan) -> Result<(), TestCaseError> {
    let mut made: std::collections::HashMap<&str, u32> = std::collections::HashMap::new();
    let mut touched = std::collections::HashSet::new();
    let mut scrap = 0.0;
    for cut in &plan.stock {
        prop_assert!(touched.insert(&cut.stock), "{} is cut twice", cut.stock);
        let piece = request.stock.iter().find(|s| s.id == cut.stock).unwrap();
        let mut sum = request.trim_mm;
        for one in &cut.cuts {
            let wanted = request.demand.iter().find(|d| d.id == one.demand).unwrap();
            prop_assert!(one.n > 0 && (one.length_mm - wanted.length_mm).abs() < 1e-12);
            sum += f64::from(one.n) * (one.length_mm + request.kerf_mm);
            *made.entry(one.demand.as_str()).or_default() += one.n;
        }
        prop_assert!(sum <= piece.length_mm + 1e-6, "{sum} out of {}", piece.length_mm);
        let blanks: f64 = cut.cuts.iter().map(|one| f64::from(one.n) * one.length_mm).sum();
        prop_assert!((blanks + cut.scrap_mm + cut.offcut_mm - piece.length_mm).abs() < 1e-6);
        prop_assert!(cut.offcut_mm == 0.0 || cut.offcut_mm >= request.shortest_useful_mm);
        scrap += cut.scrap_mm;
    }
    prop_assert!((scrap - plan.scrap_mm).abs() < 1e-6);
    for demand in &request.demand {
        let short: u32 = plan.short.iter().filter(|s| s.demand == demand.id).map(|s| s.n).sum();
        prop_assert_eq!(made.get(demand.id.as_str()).copied().unwrap_or(0) + short, demand.n);
    }
    prop_assert!(plan.lower_bound_mm <= plan.used_mm + 1e-6 && plan.gap >= -1e-12);
    Ok(())
}

/// Short, off whole stock, unused of rests, rests left: by trying every assignment of every blank.
fn best_of_all(request: &CutRequest) -> [f64; 4] {
    let blanks: Vec<f64> =
        request.demand.iter().flat_map(|d| std::iter::repeat_n(d.length_mm, d.n as usize)).collect();
    let places = request.stock.len() + 1;
    let mut best = [f64::INFINITY; 4];
    'ways: for way in 0..places.pow(u32::try_from(blanks.len()).unwrap()) {
        let mut on = vec![vec![]; places];
        let mut rest = way;
        for blank in &blanks {
            on[rest % places].push(*blank);
            rest /= places;
        }
        let mut score = [on[places - 1].iter().sum::<f64>(), 0.0, 0.0, 0.0];
        for (stock, cut) in request.stock.iter().zip(&on) {
            if cut.is_empty() {
                continue;
            }
            let sum: f64 = cut.iter().sum();
            #[expect(clippy::cast_precision_loss, reason = "a few")]
            let lost = request.trim_mm + request.kerf_mm * cut.len() as f64;
            let rest = stock.length_mm - sum - lost;
            if rest < -1e-9 {
                continue 'ways;
            }
            let useful = rest >= request.shortest_useful_mm && rest > 1e-6;
            let unused = if useful { 0.0 } else { rest.max(0.0) };
            // A rest's own trim and kerfs are no reason to leave it.
            if stock.kind == StockKind::Offcut {
                score[2] += unused;
            } else {
                score[1] += sum + lost + unused;
            }
            score[3] += f64::from(u8::from(useful));
        }
        let first = score.iter().zip(&best).find(|(a, b)| (*a - *b).abs() > 1e-6);
        if first.is_some_and(|(a, b)| a < b) {
            best = score;
        }
    }
    best
}

fn score_of(request: &CutRequest, plan: &CutPlan) -> [f64; 4] {
    let length = |id: &str| request.demand.iter().find(|d| d.id == id).unwrap().length_mm;
    let short = plan.short.iter().map(|s| f64::from(s.n) * length(&s.demand)).sum();
    let (mut whole, mut unused) = (0.0, 0.0);
    for piece in &plan.stock {
        if piece.kind == StockKind::Offcut {
            let cuts: u32 = piece.cuts.iter().map(|cut| cut.n).sum();
            unused += piece.scrap_mm - request.trim_mm - f64::from(cuts) * request.kerf_mm;
        } else {
            whole += piece.length_mm - piece.offcut_mm;
        }
    }
    #[expect(clippy::cast_precision_loss, reason = "a few")]
    let rests = plan.offcuts_mm.len() as f64;
    [short, whole, unused, rests]
}

fn kind() -> impl Strategy<Value = StockKind> {
    prop_oneof![Just(StockKind::Spool), Just(StockKind::Offcut), Just(StockKind::Straight)]
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(400))]

    /// Nothing better exists: every way of cutting is tried.
    #[test]
    fn small_cases_are_solved_exactly(
        stock in prop::collection::vec((20..200_u32, kind()), 0..=3),
        demand in prop::collection::vec((10..90_u32, 0..=3_u32), 1..=3),
        trim in 0..4_u32, kerf in 0..3_u32, useful in 0..40_u32,
    ) {
        prop_assume!(demand.iter().map(|d| d.1).sum::<u32>() <= 6);
        let half = |n: u32| f64::from(n) / 2.0;
        let stock: Vec<_> = stock.iter().map(|(mm, kind)| (f64::from(*mm), *kind)).collect();
        let demand: Vec<_> = demand.iter().map(|(mm, n)| (half(*mm), *n)).collect();
        let request = request(&stock, &demand, [half(trim), f64::from(kerf) / 10.0, half(useful)]);
        let plan = solved(&request);
        is_valid(&request, &plan)?;
        prop_assert!(plan.optimal);
        let (found, best) = (score_of(&request, &plan), best_of_all(&request));
        prop_assert!(found.iter().zip(&best).all(|(a, b)| (a - b).abs() < 1e-5), "{found:?} for {best:?}");
    }

    /// Larger ones add up, whatever is asked.
    #[test]
    fn every_plan_is_valid(
        stock in prop::collection::vec((0.0..3000.0_f64, kind()), 0..12),
        demand in prop::collection::vec((0.5..400.0_f64, 0..60_u32), 1..8),
        trim_mm in 0.0..2.0_f64, kerf_mm in 0.0..1.0_f64, useful in 0.0..100.0_f64,
    ) {
        let request = request(&stock, &demand, [trim_mm, kerf_mm, useful]);
        is_valid(&request, &request.solve(LengthUnit::Mm, &|_| false).unwrap())?;
    }
}

/// A repeatable number between 0 and 1.
fn chance(seed: u32) -> f64 {
    f64::from(seed.wrapping_mul(2_654_435_761) >> 8) / f64::from(1_u32 << 24)
}

/// What there is: so many offcuts and spools that together are about `share` of what is wanted.
fn large(blanks: u32, lengths: u32, offcuts: u32, spools: u32, share: f64) -> CutRequest {
    let demand: Vec<(f64, u32)> = (0..lengths)
        .map(|i| ((20.0 + 90.0 * chance(i + 1)).round(), blanks / lengths + u32::from(i < blanks % lengths)))
        .collect();
    let wanted: f64 = demand.iter().map(|(mm, n)| (mm + 0.2) * f64::from(*n)).sum();
    let mut stock: Vec<(f64, StockKind)> =
        (0..offcuts).map(|i| ((60.0 + 500.0 * chance(i + 77)).round(), StockKind::Offcut)).collect();
    let rest = (wanted * share - stock.iter().map(|s| s.0).sum::<f64>()).max(0.0) / f64::from(spools);
    stock.extend((0..spools).map(|_| (rest.round(), StockKind::Spool)));
    request(&stock, &demand, [0.6, 0.2, 60.0])
}

#[rstest]
#[case(500, 12, 30, 4, 1.5, 0.005)]
#[case(500, 12, 30, 4, 1.02, 0.005)]
#[case(5000, 40, 60, 12, 1.3, 0.01)]
#[case(5000, 40, 60, 12, 1.01, 0.01)]
fn large_cases_come_near_the_bound(
    #[case] blanks: u32,
    #[case] lengths: u32,
    #[case] offcuts: u32,
    #[case] spools: u32,
    #[case] share: f64,
    #[case] gap: f64,
) {
    let request = large(blanks, lengths, offcuts, spools, share);
    // A dozen orders are tried.
    let asked = std::cell::Cell::new(0);
    let go_on = |_| {
        asked.set(asked.get() + 1);
        asked.get() <= 24
    };
    let plan = request.solve(LengthUnit::Mm, &go_on).unwrap();
    is_valid(&request, &plan).unwrap();
    assert!(plan.short.is_empty(), "{:?}", plan.short);
    assert!(plan.gap <= gap, "{} above {}", plan.gap, plan.lower_bound_mm);
}

#[test]
fn what_is_short_is_said_by_how_much() {
    let request = request(&[(100.0, StockKind::Offcut)], &[(60.0, 3), (30.0, 1)], [0.0, 0.5, 10.0]);
    let plan = solved(&request);
    assert_eq!(plan.short.len(), 1);
    assert_eq!((plan.short[0].demand.as_str(), plan.short[0].n), ("d0", 2));
    assert!((plan.short[0].length_mm - 121.0).abs() < 1e-9);
}

#[test]
fn a_plan_reads_in_bench_order() {
    let stock = [(1000.0, StockKind::Spool), (125.0, StockKind::Offcut)];
    let request = request(&stock, &[(61.5, 4), (48.0, 2)], [1.0, 0.0, 30.0]);
    let plan = solved(&request);
    let spool = plan.stock.iter().find(|cut| cut.kind == StockKind::Spool).unwrap();
    assert!(spool.text.starts_with("Flush the end; cut"), "{}", spool.text);
    let longest_first = spool.cuts.windows(2).all(|pair| pair[0].length_mm >= pair[1].length_mm);
    assert!(longest_first && spool.text.contains("stays on the spool"), "{}", spool.text);
}

#[rstest]
#[case(request(&[], &[], [0.0; 3]), "demand", "1 to 1000")]
#[case(request(&[(-1.0, StockKind::Spool)], &[(5.0, 1)], [0.0; 3]), "stock[0].length_mm", "negative")]
#[case(request(&[(f64::NAN, StockKind::Spool)], &[(5.0, 1)], [0.0; 3]), "stock[0].length_mm", "not a number")]
#[case(request(&[], &[(0.0, 1)], [0.0; 3]), "demand[0].length_mm", "zero")]
#[case(request(&[], &[(5.0, 200_000)], [0.0; 3]), "demand", "too many")]
#[case(request(&[], &[(5.0, 1)], [-0.5, 0.0, 0.0]), "trim_mm", "negative")]
fn what_cannot_be_planned_is_refused(#[case] request: CutRequest, #[case] field: &str, #[case] says: &str) {
    let faults = request.solve(LengthUnit::Mm, &|_| true).unwrap_err().0;
    let fault = faults.iter().find(|fault| fault.field == field).unwrap_or_else(|| panic!("{faults:?}"));
    assert!(fault.message.contains(says), "{}", fault.message);
}

#[test]
fn names_stand_once() {
    let mut twice = request(&[(10.0, StockKind::Spool); 2], &[(5.0, 1)], [0.0; 3]);
    twice.stock[1].id = "s0".to_owned();
    assert_eq!(twice.solve(LengthUnit::Mm, &|_| true).unwrap_err().0[0].field, "stock[1].id");
}

fn picked(what: &str, piece: Piece) -> Picked {
    Picked { what: what.to_owned(), piece }
}

fn hooks(pieces_n: u32) -> PatternRequest {
    let kind = Kind::all().find(|kind| kind.0.kind == "open-ear-wire").unwrap();
    PatternRequest { pieces_n, ..PatternRequest::usual(kind) }
}

#[test]
fn picks_of_one_wire_are_cut_together() {
    let mut rings: RingRequest = serde_json::from_str(
        r#"{"wire":{"metal":"copper","size_mm":1},"mandrel":{"diameter_mm":5},"rings_n":100}"#,
    )
    .unwrap();
    rings.wire = hooks(1).wire;
    let picks = [
        picked("hooks", Piece::Finding(hooks(12))),
        picked("rings", Piece::Rings(rings.clone())),
        picked("hooks", Piece::Finding(hooks(3))),
    ];
    let wires = by_wire(&picks, &[], &Workshop::default()).unwrap();
    assert_eq!(wires.len(), 1);
    let demand = &wires[0].demand;
    let ids: Vec<&str> = demand.iter().map(|one| one.id.as_str()).collect();
    assert_eq!(ids, ["hooks", "rings", "hooks (2)"]);
    // Pairs: two blanks each, as long as the finding's own.
    let blank = hooks(1).form().unwrap().blank(LengthUnit::Mm).cut_mm;
    assert_eq!((demand[0].n, demand[2].n), (24, 6));
    assert!((demand[0].length_mm - blank).abs() < 1e-12);
    // A coil for every coil of the plan, none shorter than its wire, each on the ruler.
    let plan = rings.plan().unwrap();
    assert_eq!(demand[1].n, plan.coils_n);
    let cut = demand[1].length_mm * f64::from(demand[1].n);
    assert!(
        cut >= plan.wire_length_mm - 1e-6 && cut < plan.wire_length_mm + 0.5 * f64::from(plan.coils_n) + 1e-6
    );
    assert!((demand[1].length_mm / 0.5).fract().abs() < 1e-9);
    let sum: f64 = demand.iter().map(|one| one.length_mm * f64::from(one.n)).sum();
    assert!((wires[0].wanted_mm - sum).abs() < 1e-6);
}

#[test]
fn a_pick_that_cannot_be_made_is_named() {
    let mut wrong = hooks(2);
    wrong.wire.size_mm = 0.0;
    let picks = [picked("hooks", Piece::Finding(hooks(1))), picked("wrong", Piece::Finding(wrong))];
    let faults = by_wire(&picks, &[], &Workshop::default()).unwrap_err().0;
    assert_eq!(faults[0].field, "picked[1].wire.size_mm");
}

#[test]
fn a_solve_says_how_far_it_has_come_and_the_best_never_gets_worse() {
    let request = large(500, 12, 30, 4, 1.02);
    let seen = std::cell::RefCell::new(vec![]);
    let go_on = |progress: Progress| {
        seen.borrow_mut().push(progress);
        true
    };
    let plan = request.solve(LengthUnit::Mm, &go_on).unwrap();
    let seen = seen.into_inner();
    assert!(seen.len() > 3);
    assert!(seen.windows(2).all(|pair| pair[0].tried_n < pair[1].tried_n && pair[1].tried_n <= pair[1].of_n));
    assert!(seen.windows(2).all(|pair| pair[1].short_mm <= pair[0].short_mm + 1e-6));
    assert!(plan.scrap_mm <= seen.last().unwrap().scrap_mm + 1e-6);
}

#[test]
fn a_plan_from_outside_is_checked() {
    let request = request(&[(500.0, StockKind::Spool)], &[(60.0, 3)], [0.5, 0.0, 30.0]);
    let plan = solved(&request);
    assert!(plan.check().is_ok());
    let mut wrong = plan.clone();
    wrong.stock[0].scrap_mm = -1.0;
    assert_eq!(wrong.check().unwrap_err().0[0].field, "stock[0].scrap_mm");
    let mut wrong = plan;
    wrong.stock[0].cuts[0].n = 1_000_000;
    assert_eq!(wrong.check().unwrap_err().0[0].field, "stock[0].cuts");
}

/// A spool that would give everything with less scrap stays closed while rests give it.
#[test]
fn rests_come_before_a_spool_whatever_their_trims() {
    let stock = [(2000.0, StockKind::Spool), (130.0, StockKind::Offcut), (95.0, StockKind::Offcut)];
    let plan = solved(&request(&stock, &[(60.0, 3)], [0.6, 0.0, 30.0]));
    assert!(plan.stock.iter().all(|cut| cut.kind == StockKind::Offcut), "{}", plan.text);
    assert!(plan.optimal && plan.text.contains("no plan uses less"), "{}", plan.text);
    assert!(plan.scrap_mm > 0.6 + 1e-9, "one flush trim more than the spool would take");
}

/// “No plan does better” is said only where it is proved.
#[test]
fn what_is_not_proved_is_not_claimed() {
    let plan = large(500, 12, 30, 4, 1.5).solve(LengthUnit::Mm, &|_| false).unwrap();
    assert!(!plan.optimal && !plan.text.contains("no plan uses less"), "{}", plan.text);
    assert!(plan.text.contains("% more wire than the best possible plan"), "{}", plan.text);
}

#[test]
fn texts_are_in_the_unit_read_first() {
    let plan = request(&[(1000.0, StockKind::Spool)], &[(63.5, 4)], [1.0, 0.0, 30.0])
        .solve(LengthUnit::Inch, &|_| true)
        .unwrap();
    let text = format!("{} {}", plan.text, plan.stock[0].text);
    assert!(text.contains("the template 2 1/2 in and 3 more from it") && !text.contains("mm"), "{text}");
}

/// What is cut comes off what is picked: pieces, whole pairs, the rings of a coil.
#[test]
fn what_was_cut_comes_off_the_picks() {
    let cut = |what: &str, n: u32| BlanksCut { what: what.to_owned(), length_mm: 60.0, n };
    let pairs = picked("hooks", Piece::Finding(hooks(12)));
    let single = picked("pins", Piece::Finding(PatternRequest::usual("eye-pin".parse().unwrap())));
    let left =
        |cuts: &[BlanksCut]| remaining(&[pairs.clone(), single.clone()], cuts, &Workshop::default()).unwrap();
    assert_eq!(left(&[]), [12, 1]);
    assert_eq!(left(&[cut("hooks", 10)]), [7, 1]);
    assert_eq!(left(&[cut("hooks", 9), cut("pins", 1)]), [8, 0], "half a pair is still to be made");
    assert_eq!(left(&[cut("hooks", 24)]), [0, 1]);
}

/// How many pairs come from two pieces of stock, counted from the cuts.
fn split(request: &CutRequest, plan: &CutPlan) -> usize {
    let halves = |id: &str| {
        let of = plan
            .stock
            .iter()
            .map(|cut| cut.cuts.iter().filter(|one| one.demand == id).map(|one| one.n).sum());
        of.filter(|n: &u32| n % 2 == 1).count()
    };
    request.demand.iter().filter(|demand| demand.pair).map(|demand| halves(&demand.id) / 2).sum()
}

#[test]
fn the_two_of_a_pair_come_from_one_lot_where_they_can() {
    let rest = |mm| (mm, StockKind::Offcut);
    // One of each fits each rest as well as two of one: as pairs they stay together.
    let mut pairs = request(&[rest(82.0), rest(82.0)], &[(40.0, 2), (41.0, 2)], [0.0, 0.0, 5.0]);
    pairs.demand.iter_mut().for_each(|demand| demand.pair = true);
    let plan = solved(&pairs);
    assert!(plan.short.is_empty());
    assert_eq!((split(&pairs, &plan), plan.split_pairs_n), (0, 0));
    // An offcut that holds an odd number gives one less, and the spool one more.
    let stock = [rest(412.0), (6000.0, StockKind::Spool)];
    let mut hooks = request(&stock, &[(55.5, 48)], [0.5, 0.0, 30.0]);
    hooks.demand[0].pair = true;
    let plan = solved(&hooks);
    assert_eq!((split(&hooks, &plan), plan.stock[0].cuts[0].n), (0, 6));
    assert!(!plan.optimal);
    // Rests that hold one each cannot give a pair from one, and it is said.
    let mut apart = request(&[rest(45.0), rest(45.0)], &[(40.0, 2)], [0.0, 0.0, 5.0]);
    apart.demand[0].pair = true;
    let plan = solved(&apart);
    assert_eq!((split(&apart, &plan), plan.split_pairs_n), (1, 1));
    assert!(
        plan.text.contains("The two of one pair come from different lots: keep them apart and match them"),
        "{}",
        plan.text
    );
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(120))]

    /// Keeping pairs together never makes less and never splits more of them.
    #[test]
    fn pairs_are_kept_together_and_nothing_is_made_less(
        lengths in proptest::collection::vec((30.0..400.0f64, proptest::bool::ANY), 2..8),
        blanks in proptest::collection::vec((15.0..60.0f64, 1..6u32), 1..4),
    ) {
        let kind = |whole| if whole { StockKind::Spool } else { StockKind::Offcut };
        let stock: Vec<_> = lengths.iter().map(|(mm, whole)| (*mm, kind(*whole))).collect();
        let demand: Vec<_> = blanks.iter().map(|(mm, pairs)| (*mm, 2 * pairs)).collect();
        let plain = request(&stock, &demand, [0.5, 0.1, 20.0]);
        let mut paired = plain.clone();
        paired.demand.iter_mut().for_each(|demand| demand.pair = true);
        let (before, after) = (solved(&plain), solved(&paired));
        is_valid(&paired, &after)?;
        let short = |plan: &CutPlan| plan.short.iter().map(|short| short.length_mm).sum::<f64>();
        prop_assert!(short(&after) <= short(&before) + 1e-6);
        prop_assert!(split(&paired, &after) <= split(&paired, &before));
        prop_assert_eq!(split(&paired, &after), after.split_pairs_n);
    }
}
