//! What went wrong, said as people say it: `my wire cracked`, `ring won't close`, `lost one earring`.

use super::answer::{Answer, View};
use lorimant_text::text;

/// A piece is lost, and its like is wanted.
const LOST: [&str; 8] = [
    "lost one",
    "lost an",
    "lost a ",
    "lost my",
    "one is missing",
    "one is lost",
    "match a lost",
    "match the other",
];

/// Something came out wrong.
const WRONG: [&str; 30] = [
    "crack",
    "broke",
    "snapped",
    "won't close",
    "wont close",
    "doesn't close",
    "does not close",
    "won't shut",
    "won't stay closed",
    "won't fit",
    "doesn't fit",
    "does not fit",
    "came out wrong",
    "went wrong",
    "is wrong",
    "too loose",
    "too tight",
    "too soft",
    "too springy",
    "too big",
    "too small",
    "too long",
    "too short",
    "uneven",
    "not round",
    "lopsided",
    "kinked",
    "scratched",
    "keeps opening",
    "opens up",
];

/// The way to help where a line tells of trouble; nothing where it asks for sizes or tells of none.
pub(super) fn answer_trouble(text: &str) -> Option<Answer> {
    let lower = text.to_lowercase().replace('’', "'");
    let says = |phrases: &[&str]| phrases.iter().any(|phrase| lower.contains(phrase));
    // What names a size is a question about it.
    if lower.chars().any(|c| c.is_ascii_digit()) {
        return None;
    }
    let (headline, opens) = if says(&LOST) {
        (text!("trouble-make-one-like-again-measure"), View::Match)
    } else if says(&WRONG) {
        (text!("trouble-find-likely-cause-what-change"), View::Fix)
    } else {
        return None;
    };
    Some(Answer { headline: headline.to_owned(), opens: Some(opens), ..Answer::default() })
}
