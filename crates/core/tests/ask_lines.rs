//! What makers type on the ask line, line by line: `tables/ask.tsv` says what each must be read as.
//!
//! A line is *right* when it is read as the table says. It is *silently wrong* when it is answered otherwise
//! without a word: then the test fails, whatever the share of right lines.
#![allow(clippy::unwrap_used, clippy::panic, missing_docs)]

use lorimant_core::ask::{Answer, Kept, answer};
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::piece::Piece;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use rstest::rstest;

const TABLE: &str = include_str!("tables/ask.tsv");

/// The lines of the table with what each must be.
fn lines() -> impl Iterator<Item = (&'static str, &'static str)> {
    let rows = TABLE.lines().filter(|row| !row.starts_with('#') && !row.trim().is_empty());
    rows.map(|row| row.split_once('\t').unwrap_or_else(|| panic!("no tab in “{row}”")))
}

/// What of the expectation an answer does not meet.
fn misses(reply: &Answer, wanted: &str) -> Vec<String> {
    wanted.split(';').map(str::trim).filter(|want| !meets(reply, want)).map(str::to_owned).collect()
}

fn wire(reply: &Answer) -> Option<&Wire> {
    let rings = reply.request.as_ref().map(|plan| &plan.wire);
    rings.or(reply.pattern.as_ref().map(|finding| &finding.wire))
}

fn meets(reply: &Answer, want: &str) -> bool {
    let (word, rest) = want.split_once(' ').unwrap_or((want, ""));
    let number = || rest.trim().parse::<f64>().unwrap_or_else(|_| panic!("no number in “{want}”"));
    let near = |value: f64, tolerance: f64| (value - number()).abs() <= tolerance;
    let answered = !reply.headline.is_empty() && reply.faults.is_empty();
    match word {
        "rings" => answered && reply.request.as_ref().is_some_and(|plan| f64::from(plan.rings_n) == number()),
        "inside" => reply
            .request
            .as_ref()
            // On the nearest drill that is sold: a tenth apart.
            .is_some_and(|plan| near(plan.plan().unwrap().ring_inside_diameter_mm, 0.06)),
        "short" => {
            reply.request.as_ref().is_some_and(|plan| near(plan.plan().unwrap().ring_inside_short_mm, 0.02))
        }
        "rod" => reply.request.as_ref().is_some_and(|plan| near(plan.mandrel.diameter_mm, 0.001)),
        "size" => wire(reply).is_some_and(|wire| near(wire.size_mm, 0.0006)),
        "cut" => reply.request.as_ref().is_some_and(|plan| plan.cutting.method.word() == rest),
        "blade" => {
            reply.request.as_ref().is_some_and(|plan| plan.cutting.blade.is_some_and(|b| b.word() == rest))
        }
        "wound" => reply.request.as_ref().is_some_and(|plan| plan.winding.word() == rest),
        "metal" => wire(reply).is_some_and(|wire| wire.metal.word() == rest),
        "temper" => wire(reply).is_some_and(|wire| wire.temper.word() == rest),
        "section" => wire(reply).is_some_and(|wire| wire.section.word() == rest),
        "pairs" => {
            answered
                && reply
                    .pattern
                    .as_ref()
                    .is_some_and(|one| one.in_pairs() && f64::from(one.pieces_n) == number())
        }
        "pieces" => {
            answered && reply.pattern.as_ref().is_some_and(|one| f64::from(one.blanks_n()) == number())
        }
        "kind" => reply.pattern.as_ref().is_some_and(|one| one.kind.0.kind == rest),
        "mirrored" => reply.pattern.as_ref().is_some_and(|one| one.mirrored),
        "opens" => reply.opens.is_some_and(|view| view.word() == rest),
        "wire-for" => reply.wire_for.is_some_and(|wanted| wanted.word() == rest),
        "says" => answered && reply.headline.contains(rest),
        "makes" => reply.makes.iter().any(|one| one.name == rest && one.n > 0),
        "notes" => reply.assumed.iter().any(|text| text.contains(rest)),
        "points" => !answered && reply.unclear.iter().any(|one| one.text.trim() == rest),
        "lacks" => !answered && reply.missing.iter().any(|one| one.contains(rest)),
        "refuses" => reply.faults.iter().any(|one| one.message.contains(rest)),
        // Any parameter of a finding by its name.
        name => reply
            .pattern
            .as_ref()
            .is_some_and(|one| one.kind.0.parameter(name).is_some() && near(one.value(name), 0.0006)),
    }
}

/// Answered, though not as meant, and nothing pointed at: what must never be.
fn silently_wrong(reply: &Answer) -> bool {
    !reply.headline.is_empty()
        && reply.unclear.is_empty()
        && reply.missing.is_empty()
        && reply.faults.is_empty()
}

fn kept() -> Vec<Kept> {
    let hooks = PatternRequest::usual(Kind::called("hooks").unwrap());
    vec![Kept { name: "lake hooks".to_owned(), piece: Piece::Finding(hooks) }]
}

#[test]
fn what_makers_type_is_read_as_they_mean_it() {
    let (mut n, mut wrong, mut silent) = (0_u32, vec![], vec![]);
    for (line, wanted) in lines() {
        n += 1;
        let reply = answer(line, &Workshop::default(), &kept);
        let missed = misses(&reply, wanted);
        if missed.is_empty() {
            continue;
        }
        let text = format!("{line:?} is not “{}”: {}", missed.join("; "), told(&reply));
        if silently_wrong(&reply) { silent.push(text) } else { wrong.push(text) }
    }
    assert!(n >= 300, "the table has {n} lines");
    assert!(
        silent.is_empty(),
        "silently wrong:\n{}\n\nwrong, and said:\n{}",
        silent.join("\n"),
        wrong.join("\n")
    );
    let share = f64::from(n - u32::try_from(wrong.len()).unwrap()) / f64::from(n);
    assert!(share >= 0.97, "{:.0} % of {n} are right\n{}", 100.0 * share, wrong.join("\n"));
    println!("{n} lines: {:.1} % right, none silently wrong\n{}", 100.0 * share, wrong.join("\n"));
}

/// A quantity more, at either end of any line that is answered, is used or pointed at; never passed over.
#[rstest]
fn no_quantity_is_passed_over(#[values("7.3 mm", "93", "41 g", "2.7 m", "1/7 in")] extra: &str) {
    let workshop = Workshop::default();
    let passed_over = |line: &str| {
        let before = answer(line, &workshop, &kept);
        [format!("{line} {extra}"), format!("{extra} {line}")].into_iter().find(|longer| {
            let after = answer(longer, &workshop, &kept);
            let same = after.request == before.request
                && after.pattern == before.pattern
                && after.headline == before.headline
                && after.makes == before.makes;
            silently_wrong(&after) && same
        })
    };
    let found: Vec<String> = lines().filter_map(|(line, _)| passed_over(line)).collect();
    assert!(found.is_empty(), "answered as if {extra} were not there:\n{}", found.join("\n"));
}

/// An answer in a few words.
fn told(reply: &Answer) -> String {
    let plan = reply.request.as_ref().map(|plan| format!("{plan:?}"));
    let finding = reply.pattern.as_ref().map(|one| format!("{one:?}"));
    let unclear: Vec<String> =
        reply.unclear.iter().map(|one| format!("{} ({})", one.text, one.why)).collect();
    format!(
        "“{}” unclear {unclear:?} missing {:?} faults {:?} {} {}",
        reply.headline,
        reply.missing,
        reply.faults.iter().map(|fault| &fault.message).collect::<Vec<_>>(),
        plan.unwrap_or_default(),
        finding.unwrap_or_default()
    )
}

/// A word with two of its letters swapped, as fingers do.
fn misspelt(word: &str) -> Option<String> {
    let (at, _) = word.char_indices().nth(2)?;
    let typed = word.chars().all(char::is_alphabetic) && word.len() > 4;
    let swapped: String = word.get(1..=at)?.chars().rev().collect();
    typed.then(|| format!("{}{swapped}{}", &word[..1], &word[at + 1..]))
}

/// Words without which another piece is meant, and said: numbers, metals, tempers, shapes, kinds, finishes, ways of making.
fn means_something(word: &str) -> bool {
    const OTHERS: [&str; 30] = [
        "on", "the", "a", "with", "of", "for", "in", "to", "from", "mm", "cm", "inch", "in.", "ga", "gauge",
        "awg", "swg", "what", "which", "how", "much", "long", "wire", "can", "i", "do", "make", "cost",
        "best", "is",
    ];
    !OTHERS.contains(&word.to_lowercase().trim_matches([',', '?']))
}

/// Of every line that is answered, each word doubled, misspelt or left out in turn: the answer is the same, or it says that
/// something is missing, unclear, assumed or read otherwise; never another answer without a mark. Where what is left out means
/// something (`hard` without its `half`), the line is another one, and what is read back is another as well.
#[test]
fn a_changed_word_is_never_passed_over() {
    let workshop = Workshop::default();
    let same =
        |a: &Answer, b: &Answer| a.request == b.request && a.pattern == b.pattern && a.headline == b.headline;
    let mut wrong = vec![];
    for (line, _) in lines() {
        let right = answer(line, &workshop, &kept);
        if right.headline.is_empty() {
            continue;
        }
        let words: Vec<&str> = line.split(' ').collect();
        for (i, word) in words.iter().enumerate() {
            let swapped = misspelt(word).map(|one| ("misspelt", vec![one]));
            let doubled = Some(("doubled", vec![(*word).to_owned(), (*word).to_owned()]));
            let dropped = Some(("dropped", vec![]));
            for (how, instead) in [swapped, doubled, dropped].into_iter().flatten() {
                let mut changed: Vec<String> = words.iter().map(|word| (*word).to_owned()).collect();
                changed.splice(i..=i, instead);
                let after = answer(&changed.join(" "), &workshop, &kept);
                let marked =
                    after.headline.is_empty() || after.assumed.iter().any(|one| !right.assumed.contains(one));
                let piece = |one: &Answer| (one.request.clone(), one.pattern.clone(), one.chain.clone());
                let same_piece = piece(&right) == piece(&after) && piece(&after) != (None, None, None);
                // Of a size alone the answer itself reads it back.
                let size_alone = piece(&after) == (None, None, None);
                let another = means_something(word) && (size_alone || after.understood != right.understood);
                let told = how == "dropped" && (same_piece || another);
                if !same(&right, &after) && !marked && !told {
                    wrong.push(format!("{line}: {word} {how}: {}", after.headline));
                }
            }
        }
    }
    assert!(wrong.is_empty(), "{}", wrong.join("\n"));
}
