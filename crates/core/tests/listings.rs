//! Shop listings in several habits and languages, all invented, with what each says and what must not be guessed.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::rack::listing::{Listing, decode};
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::Section;
use lorimant_core::words::length::Habits;
use proptest::prelude::*;

const TABLE: &str = include_str!("tables/listings.tsv");

fn ways(listing: &Listing) -> String {
    let word = |found: Option<&'static str>| found.unwrap_or("-").to_owned();
    let metal = word(listing.metal.map(Metal::word));
    let section = word(listing.section.map(Section::word));
    let temper = word(listing.temper.map(Temper::word));
    format!("{metal} {section} {temper}")
}

/// What of a row a listing does not meet.
fn misses(listing: &Listing, row: &[&str]) -> Vec<String> {
    let column = |at: usize| row.get(at).copied().unwrap_or_default();
    let close = |found: Option<f64>, expected: f64| match found {
        Some(found) => (found - expected).abs() < 1e-4 * expected.max(1.0),
        None => expected == 0.0,
    };
    let quantity: f64 = column(3).parse().unwrap();
    let measured =
        if quantity < 0.0 { close(listing.mass_g, -quantity) } else { close(listing.length_mm, quantity) };
    let paid = listing.price.map_or(String::new(), |price| price.to_string());
    let mut missed = vec![];
    let mut want = |holds: bool, what: String| missed.extend((!holds).then_some(what));
    want(ways(listing) == column(1), format!("words {}", ways(listing)));
    want(close(listing.size_mm, column(2).parse().unwrap()), format!("size {:?}", listing.size_mm));
    want(measured, format!("quantity {:?} {:?}", listing.length_mm, listing.mass_g));
    want(paid.parse::<f64>() == column(4).parse::<f64>(), format!("price {paid}"));
    for note in column(5).split(';').map(str::trim).filter(|note| !note.is_empty()) {
        let (kind, words) = note.split_at(1);
        let held = match kind {
            "~" => listing.doubtful.iter().any(|doubt| doubt.contains(words)),
            _ => listing.unclear.iter().any(|word| word == words),
        };
        want(held, format!("{note}: {:?} {:?}", listing.doubtful, listing.unclear));
    }
    missed
}

/// Every line of the table is read as it says. One that is read otherwise without a word would be silently wrong.
#[test]
fn listings_are_read_in_any_order_and_language() {
    let lines: Vec<&str> =
        TABLE.lines().filter(|line| !line.trim().is_empty() && !line.starts_with('#')).collect();
    assert!(lines.len() >= 300, "{}", lines.len());
    let (mut wrong, mut silent) = (vec![], vec![]);
    for line in &lines {
        let row: Vec<&str> = line.split('|').map(str::trim).collect();
        let listing = decode(row[0], Habits::default());
        let missed = misses(&listing, &row);
        if missed.is_empty() {
            continue;
        }
        let quiet = listing.doubtful.is_empty() && listing.unclear.is_empty();
        if quiet { &mut silent } else { &mut wrong }.push(format!("{}: {}", row[0], missed.join("; ")));
    }
    assert!(
        silent.is_empty(),
        "silently wrong:\n{}\n\nwrong, and said:\n{}",
        silent.join("\n"),
        wrong.join("\n")
    );
    #[expect(clippy::cast_precision_loss, reason = "a few hundred")]
    let share = 1.0 - wrong.len() as f64 / lines.len() as f64;
    assert!(share >= 0.97, "{:.0} % right\n{}", 100.0 * share, wrong.join("\n"));
    println!(
        "{} listings: {:.1} % right, none silently wrong\n{}",
        lines.len(),
        100.0 * share,
        wrong.join("\n")
    );
}

#[test]
fn what_must_not_be_guessed_is_said() {
    let read = |text: &str| decode(text, Habits::default());
    let doubt = |text: &str, words: &str| {
        let found = read(text).doubtful;
        assert!(found.iter().any(|line| line.contains(words)), "{text}: {found:?}");
    };
    doubt("ss 20 awg half hard", "stainless steel to others");
    doubt("silver round 20 awg", "What fineness of silver? Sterling, fine, or a filled or plated wire");
    doubt("copper 20 ga round", "Gauge 20 in which system? It could be 0.812 mm in AWG");
    doubt("annealed steel 16 gauge", "steel");
    doubt("copper 20g round soft", "gauge or grams");
    doubt("sterling 1 oz 20 awg", "troy");
    doubt("silver plated copper 1 mm", "Plated: a layer of about 1 % that tools scrape off");
    doubt("enamelled copper 1 mm", "must not be heated");
    doubt("copper 1 mm 5 m 9.80", "is read as the price. No currency is given");
    let missing = read("copper").missing;
    for words in ["nearly always soft", "nearly always round", "No size", "No amount", "No price"] {
        assert!(missing.iter().any(|line| line.contains(words)), "{words}: {missing:?}");
    }
    assert_eq!(read("copper 1 mm sparkly soft").unclear, ["sparkly"]);
    // A gauge whose system is said is no doubt.
    assert!(read("copper 20 awg round soft 5 ft $3").doubtful.is_empty());
}

/// Price of a metre and of a gram by hand, weight to length and back for every section.
#[test]
fn prices_and_weights_follow() {
    let listing = decode("copper round soft 1 mm 10 m $8.00", Habits::default());
    assert_eq!(listing.per_metre.unwrap().normalize().to_string(), "0.8");
    let grams = 10_000.0 * std::f64::consts::PI / 4.0 * 8.94 / 1000.0;
    assert!((listing.mass_g.unwrap() - grams).abs() < 1e-6);
    assert!((listing.per_gram.unwrap().to_string().parse::<f64>().unwrap() - 8.0 / grams).abs() < 1e-4);
    // 61.5 mm of it.
    assert_eq!(listing.price_of(61.5).unwrap().normalize().to_string(), "0.0492");
    for (section, area) in
        [("round", std::f64::consts::PI), ("square", 4.0), ("half round", std::f64::consts::PI / 2.0)]
    {
        let by_weight = decode(&format!("copper {section} 2 mm 500 g"), Habits::default());
        let expected = 500.0 / (area * 8.94 / 1000.0);
        assert!((by_weight.length_mm.unwrap() - expected).abs() < 1e-6 * expected, "{section}");
    }
    let by_foot = decode("sterling round 20 awg $3.048 per ft", Habits::default());
    assert_eq!(by_foot.per_metre.unwrap().normalize().to_string(), "10");
}

proptest! {
    /// Whatever is pasted, nothing panics and the metals of the table stay themselves.
    #[test]
    fn nothing_panics(text in any::<String>(), more in "[a-z0-9 .,/'\"$€½-]{0,60}") {
        let _ = decode(&text, Habits::default());
        let _ = decode(&more, Habits::default());
    }
}
