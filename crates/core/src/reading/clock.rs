//! A time of day as people type it: `18:00`, `18.30`, `6 pm`, `18h30`, `noon`.

use jiff::civil::Time;

/// Reads a time of day; nothing where it is none.
///
/// ```
/// use jiff::civil::time;
/// use lorimant_core::reading::clock::read;
///
/// assert_eq!(read("18:00"), Some(time(18, 0, 0, 0)));
/// assert_eq!(read("6:30 pm"), Some(time(18, 30, 0, 0)));
/// assert_eq!(read("12 am"), Some(time(0, 0, 0, 0)));
/// assert_eq!(read("25:00"), None);
/// ```
#[must_use]
pub fn read(text: &str) -> Option<Time> {
    let lower = text.trim().to_lowercase().replace("p.m.", "pm").replace("a.m.", "am");
    match lower.as_str() {
        "noon" | "midday" => return Time::new(12, 0, 0, 0).ok(),
        "midnight" => return Some(Time::midnight()),
        _ => {}
    }
    let half =
        [("am", 0), ("pm", 12)].into_iter().find_map(|(word, from)| Some((lower.strip_suffix(word)?, from)));
    let (digits, from) = half.map_or((lower.as_str(), None), |(rest, from)| (rest.trim_end(), Some(from)));
    let (hour, minute) = hour_and_minute(digits.trim_end_matches(" o'clock"))?;
    match from {
        None => Time::new(hour, minute, 0, 0).ok(),
        // Twelve is the first hour of either half of the day.
        Some(from) if (1..=12).contains(&hour) => Time::new(hour % 12 + from, minute, 0, 0).ok(),
        Some(_) => None,
    }
}

/// `18`, `18:30`, `18.30`, `18h30`, `18 h`, `1830`, `18:00:00`.
fn hour_and_minute(digits: &str) -> Option<(i8, i8)> {
    let number =
        |text: &str| text.parse::<i8>().ok().filter(|_| text.bytes().all(|byte| byte.is_ascii_digit()));
    let parts: Vec<&str> = digits.split([':', '.', 'h']).map(str::trim).collect();
    match parts.as_slice() {
        [whole] if matches!(whole.len(), 3 | 4) && whole.is_ascii() => {
            let (hour, minute) = whole.split_at(whole.len() - 2);
            Some((number(hour)?, number(minute)?))
        }
        [hour] | [hour, ""] => Some((number(hour)?, 0)),
        [hour, minute] | [hour, minute, "00"] if minute.len() == 2 => Some((number(hour)?, number(minute)?)),
        _ => None,
    }
}
