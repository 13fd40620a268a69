//! A listing written so that each thing stands by itself: dozens and small numbers in digits, what a slash joins apart.

/// Numbers as words that may stand before a unit.
const NUMBERS: [(&str, u32); 12] = [
    ("one", 1),
    ("two", 2),
    ("three", 3),
    ("four", 4),
    ("five", 5),
    ("six", 6),
    ("seven", 7),
    ("eight", 8),
    ("nine", 9),
    ("ten", 10),
    ("eleven", 11),
    ("twelve", 12),
];

fn number(word: &str) -> Option<u32> {
    NUMBERS.iter().find(|(name, _)| *name == word).map(|(_, n)| *n).or_else(|| word.parse().ok())
}

/// How many pieces some words at the start of a list say in dozens, and how many words those are.
fn dozens(words: &[&str]) -> Option<(u32, usize)> {
    let is_dozen =
        |at: usize| words.get(at).is_some_and(|word| matches!(*word, "dozen" | "dozens" | "doz" | "doz."));
    match words.first()? {
        &"half" if is_dozen(1) => Some((6, 2)),
        &"half" if words.get(1) == Some(&"a") && is_dozen(2) => Some((6, 3)),
        &"a" if is_dozen(1) => Some((12, 2)),
        word if is_dozen(1) => Some((12 * number(word)?, 2)),
        _ if is_dozen(0) => Some((12, 1)),
        _ => None,
    }
}

/// `half dozen 1 m` as `pack of 6 1 m`, `one metre` as `1 metre`, `20ga/10ft` as `20ga 10ft`.
pub(super) fn written_plainly(line: &str) -> String {
    let mut apart = String::with_capacity(line.len());
    let mut letters = line.chars().peekable();
    while let Some(letter) = letters.next() {
        let parts = letter == '/'
            && apart.ends_with(|before: char| before.is_alphabetic())
            && letters.peek().is_some_and(char::is_ascii_digit);
        apart.push(if parts { ' ' } else { letter });
    }
    let words: Vec<&str> = apart.split(' ').collect();
    let mut plain: Vec<String> = vec![];
    let mut at = 0;
    while at < words.len() {
        if let Some((n, used)) = dozens(&words[at..]) {
            plain.push(format!("pack of {n},"));
            at += used;
            continue;
        }
        let before_a_word = words.get(at + 1).is_some_and(|next| next.starts_with(char::is_alphabetic));
        let spelt = NUMBERS.iter().find(|(name, _)| *name == words[at]).filter(|_| before_a_word);
        plain.push(spelt.map_or_else(|| words[at].to_owned(), |(_, n)| n.to_string()));
        at += 1;
    }
    plain.join(" ")
}
