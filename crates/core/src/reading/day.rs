//! A day as people type it: `Friday`, `5 December`, `in 2 weeks`, `2026-12-05`.

use jiff::civil::{Date, Weekday};
use jiff::{Span, ToSpan as _};

use crate::words::date::{self, short};
use crate::words::number::read_count;
use crate::words::quoted;
use lorimant_text::{Text, text};

/// How a day is written, for the sentence that asks for it.
const EXAMPLE: Text = Text::named("day-write-as-5-december-friday");

const PAST_EXAMPLE: Text = Text::named("day-write-as-5-december-2-weeks-ago");

/// Weekdays by their names and what they are shortened to.
const WEEKDAYS: [(Weekday, &[&str]); 7] = [
    (Weekday::Monday, &["monday", "mon"]),
    (Weekday::Tuesday, &["tuesday", "tues", "tue"]),
    (Weekday::Wednesday, &["wednesday", "wed"]),
    (Weekday::Thursday, &["thursday", "thurs", "thur", "thu"]),
    (Weekday::Friday, &["friday", "fri"]),
    (Weekday::Saturday, &["saturday", "sat"]),
    (Weekday::Sunday, &["sunday", "sun"]),
];

/// Months by the letters that tell them apart.
const MONTHS: [(&str, &str); 12] = [
    ("jan", "january"),
    ("feb", "february"),
    ("mar", "march"),
    ("apr", "april"),
    ("may", "may"),
    ("jun", "june"),
    ("jul", "july"),
    ("aug", "august"),
    ("sep", "september"),
    ("oct", "october"),
    ("nov", "november"),
    ("dec", "december"),
];

/// Reads a day. One without a year is the next there is, today included; a weekday is the next after today.
///
/// ```
/// use jiff::civil::date;
/// use lorimant_core::reading::day::read;
///
/// let today = date(2026, 11, 30); // A Monday.
/// assert_eq!(read("Friday", today), Ok(date(2026, 12, 4)));
/// assert_eq!(read("5 May", today), Ok(date(2027, 5, 5)));
/// assert_eq!(read("in 2 weeks", today), Ok(date(2026, 12, 14)));
/// assert!(read("5/12", today).unwrap_err().contains("5 December or 12 May"));
/// ```
///
/// # Errors
/// A sentence where it is no day, or may be two.
pub fn read(text: &str, today: Date) -> Result<Date, String> {
    let typed = text.trim().to_lowercase();
    let no_day = || text!("day-not-day", text = quoted(text.trim()), EXAMPLE);
    if let Some(numbers) = in_numbers(&typed, today) {
        return numbers;
    }
    match words(&typed).as_slice() {
        ["today"] => Ok(today),
        ["tomorrow"] => later(today, 1.day()).ok_or_else(no_day),
        ["day", "after", "tomorrow"] | ["the", "day", "after", "tomorrow"] => {
            later(today, 2.days()).ok_or_else(no_day)
        }
        ["end", "of", "month"] | ["end", "of", "the", "month"] => Ok(today.last_of_month()),
        ["end", "of", name] => {
            let month = month(name).ok_or_else(no_day)?;
            let this_year = Date::new(today.year(), month, 1).map(Date::last_of_month).ok();
            this_year
                .filter(|day| *day >= today)
                .or_else(|| Some(next_of(1, month, today)?.last_of_month()))
                .ok_or_else(no_day)
        }
        ["next", name] if weekday(name).is_some() => {
            let first = weekday(name).and_then(|day| coming(today, day)).ok_or_else(no_day)?;
            let second = later(first, 1.week()).ok_or_else(no_day)?;
            Err(text!(
                "day-could-be-or-write-date",
                text = quoted(text),
                first = short(first),
                second = short(second)
            ))
        }
        ["this" | "coming", name] | [name] if weekday(name).is_some() => {
            weekday(name).and_then(|day| coming(today, day)).ok_or_else(no_day)
        }
        ["in", rest @ ..] | [rest @ .., "from", "now" | "today"] => {
            span(rest).and_then(|span| later(today, span)).ok_or_else(no_day)
        }
        parts => match span(parts) {
            Some(span) => later(today, span).ok_or_else(no_day),
            None => with_month(parts, today).unwrap_or_else(|| Err(no_day())),
        },
    }
}

/// The words of a day, without what a sentence has before it.
fn words(typed: &str) -> Vec<&str> {
    let parts = typed.split([' ', ',', '\t']).map(|part| part.trim_matches('.'));
    let mut parts: Vec<&str> = parts.filter(|part| !part.is_empty()).collect();
    if let ["on" | "by" | "due", ..] = parts.as_slice() {
        parts.remove(0);
    }
    parts
}

/// Reads a day that has been: one without a year is the last there was, today included; a weekday is the last before
/// today.
///
/// ```
/// use jiff::civil::date;
/// use lorimant_core::reading::day::read_past;
///
/// let today = date(2026, 11, 30); // A Monday.
/// assert_eq!(read_past("Friday", today), Ok(date(2026, 11, 27)));
/// assert_eq!(read_past("5 May", today), Ok(date(2026, 5, 5)));
/// assert_eq!(read_past("2 weeks ago", today), Ok(date(2026, 11, 16)));
/// assert!(read_past("tomorrow", today).unwrap_err().contains("is in the future"));
/// ```
///
/// # Errors
/// A sentence where it is no day, may be two, or has not been yet.
pub fn read_past(text: &str, today: Date) -> Result<Date, String> {
    let typed = text.trim().to_lowercase();
    let parts = words(&typed);
    let before = |span: Span| today.checked_sub(span).ok();
    let found = match parts.as_slice() {
        ["yesterday"] => before(1.day()),
        ["last", name] | [name] if weekday(name).is_some() => {
            weekday(name).and_then(|day| today.nth_weekday(-1, day).ok())
        }
        [rest @ .., "ago"] => span(rest).and_then(before),
        _ => None,
    };
    if let Some(found) = found {
        return Ok(found);
    }
    let coming = read(text, today);
    let no_year = with_month(&parts, today).is_some() || in_numbers(&typed, today).is_some();
    // Seen from a year ago, the next such day is the last one there was.
    let seen_from = before(1.year()).and_then(|day| day.tomorrow().ok());
    let been = seen_from.filter(|_| no_year).map_or_else(|| coming.clone(), |then| read(text, then));
    match (been, coming) {
        (Ok(day), _) | (_, Ok(day)) if day <= today => Ok(day),
        (Ok(day), _) => Err(text!("day-not-been-yet", day = date::in_full(day))),
        // What is shown as an example must have been as well.
        (Err(message), _) => Err(message.replace(EXAMPLE.as_str(), PAST_EXAMPLE.as_str())),
    }
}

/// A day in words with its weekday, and its year where that is not this one: `Friday 4 December`.
#[must_use]
pub fn told(day: Date, today: Date) -> String {
    if day.year() == today.year() { date::on(day) } else { date::in_full(day) }
}

fn later(day: Date, span: Span) -> Option<Date> {
    day.checked_add(span).ok()
}

fn weekday(text: &str) -> Option<Weekday> {
    WEEKDAYS.iter().find(|(_, names)| names.contains(&text)).map(|(day, _)| *day)
}

fn month(text: &str) -> Option<i8> {
    let is = |(short, long): &(&str, &str)| {
        text.starts_with(short) && long.starts_with(text) || text == "sept" && *short == "sep"
    };
    let at = MONTHS.iter().position(is)?;
    i8::try_from(at + 1).ok()
}

/// The first of this weekday after a day.
fn coming(today: Date, day: Weekday) -> Option<Date> {
    today.nth_weekday(1, day).ok()
}

/// The first day of this number and month from today on; of 29 February in the next year that has it.
fn next_of(day: i8, month: i8, today: Date) -> Option<Date> {
    (0..=8).find_map(|years| {
        let found = Date::new(today.year().checked_add(years)?, month, day).ok()?;
        (found >= today).then_some(found)
    })
}

/// `2 weeks`, `ten days`, `a week`, `a fortnight`.
fn span(parts: &[&str]) -> Option<Span> {
    let (count, unit): (i32, &str) = match parts {
        ["a" | "one", unit] => (1, *unit),
        [unit @ ("fortnight" | "week")] => (1, *unit),
        [count @ .., unit] if !count.is_empty() => {
            (read_count(&count.join(" "))?.to_string().parse().ok()?, *unit)
        }
        _ => return None,
    };
    let span = Span::new();
    match unit {
        "day" | "days" => span.try_days(count),
        "week" | "weeks" => span.try_weeks(count),
        "fortnight" | "fortnights" => span.try_weeks(count.checked_mul(2)?),
        "month" | "months" => span.try_months(count),
        _ => return None,
    }
    .ok()
}

/// A number that may carry its ending: `5`, `5th`.
fn ordinal(text: &str) -> Option<i8> {
    let end = ["st", "nd", "rd", "th"].iter().find_map(|ending| text.strip_suffix(ending)).unwrap_or(text);
    end.parse().ok().filter(|n| (1..=31).contains(n))
}

fn year(text: &str) -> Option<i16> {
    let year: i16 = text.parse().ok()?;
    match text.len() {
        4 => Some(year),
        2 => Some(2000 + year),
        _ => None,
    }
}

/// `5 December`, `Dec 5th 2026`, `Sat 5 Dec`; none where no month is named.
fn with_month(parts: &[&str], today: Date) -> Option<Result<Date, String>> {
    let (named, parts) = match parts {
        [first, rest @ ..] if weekday(first).is_some() => (weekday(first), rest),
        _ => (None, parts),
    };
    let parts: Vec<&str> = parts.iter().filter(|part| !["the", "of"].contains(part)).copied().collect();
    let (day, month, year) = match parts.as_slice() {
        [a, b] if month(b).is_some() => (ordinal(a)?, month(b)?, None),
        [a, b] => (ordinal(b)?, month(a)?, None),
        [a, b, c] if month(b).is_some() => (ordinal(a)?, month(b)?, Some(year(c)?)),
        [a, b, c] => (ordinal(b)?, month(a)?, Some(year(c)?)),
        _ => return None,
    };
    Some(dated(day, month, year, today).and_then(|found| match named {
        Some(named) if named != found.weekday() => {
            Err(text!("day-check-day", long = date::long(found), weekday = date::weekday(found)))
        }
        _ => Ok(found),
    }))
}

fn dated(day: i8, month: i8, year: Option<i16>, today: Date) -> Result<Date, String> {
    let found = match year {
        Some(year) => Date::new(year, month, day).ok(),
        None => next_of(day, month, today),
    };
    found.ok_or_else(|| {
        let (_, name) = MONTHS[usize::try_from(month - 1).unwrap_or(0)];
        let mut name = name.to_owned();
        name[..1].make_ascii_uppercase();
        text!("day-there-no", day, name, year = year.map(|year| format!(" {year}")).unwrap_or_default())
    })
}

/// `2026-12-05`, `5.12.`, `25/12/2026`; none where letters are among it. Between slashes the day or the month may
/// come first.
fn in_numbers(text: &str, today: Date) -> Option<Result<Date, String>> {
    let sign = text.chars().find(|c| ['-', '/', '.'].contains(c))?;
    let parts: Vec<&str> = text.trim_end_matches('.').split(sign).map(str::trim).collect();
    if !parts.iter().all(|part| !part.is_empty() && part.bytes().all(|c| c.is_ascii_digit())) {
        return None;
    }
    let n = |text: &str| text.parse::<i8>().ok();
    let whole = |day: Option<i8>, month: Option<i8>, year: Option<i16>| {
        Some(match (day, month) {
            (Some(day), Some(month @ 1..=12)) => dated(day, month, year, today),
            _ => Err(text!("day-not-day", text = quoted(text), EXAMPLE)),
        })
    };
    let (first, second, year) = match parts.as_slice() {
        [y, m, d] if y.len() == 4 => return whole(n(d), n(m), year(y)),
        [a, b] => (n(a), n(b), None),
        [a, b, y] => (n(a), n(b), Some(year(y)?)),
        _ => return None,
    };
    let may_be_month = |n: Option<i8>| n.is_some_and(|n| (1..=12).contains(&n));
    if sign == '.' || first == second || !may_be_month(first) || !may_be_month(second) {
        // Between dots the day always comes first.
        let day_first = sign == '.' || may_be_month(second);
        return if day_first { whole(first, second, year) } else { whole(second, first, year) };
    }
    let told = |day: Option<i8>, month: Option<i8>| {
        dated(day.unwrap_or(0), month.unwrap_or(1), year, today).map(short).unwrap_or_default()
    };
    let (one, other) = (told(first, second), told(second, first));
    Some(Err(text!("day-could-be-or-write-month", text = quoted(text), one, other)))
}
