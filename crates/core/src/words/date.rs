//! Days as people read them.

use jiff::civil::{Date, Weekday};
use lorimant_text::{Text, text};

const MONTHS: [Text; 12] = [
    Text::named("date-january"),
    Text::named("date-february"),
    Text::named("date-march"),
    Text::named("date-april"),
    Text::named("date-may"),
    Text::named("date-june"),
    Text::named("date-july"),
    Text::named("date-august"),
    Text::named("date-september"),
    Text::named("date-october"),
    Text::named("date-november"),
    Text::named("date-december"),
];

/// `4 December`, where the year is plain.
///
/// ```
/// assert_eq!(lorimant_core::words::date::short(jiff::civil::date(2026, 12, 4)), "4 December");
/// ```
#[must_use]
pub fn short(day: Date) -> String {
    let month =
        usize::try_from(day.month() - 1).ok().and_then(|at| MONTHS.get(at)).copied().unwrap_or_default();
    text!("date-short", day = day.day(), month)
}

/// `4 December 2026`.
#[must_use]
pub fn long(day: Date) -> String {
    text!("date-long", short = short(day), year = day.year().to_string())
}

/// `Friday`.
#[must_use]
pub fn weekday(day: Date) -> &'static str {
    match day.weekday() {
        Weekday::Monday => text!("day-monday"),
        Weekday::Tuesday => text!("day-tuesday"),
        Weekday::Wednesday => text!("day-wednesday"),
        Weekday::Thursday => text!("day-thursday"),
        Weekday::Friday => text!("day-friday"),
        Weekday::Saturday => text!("day-saturday"),
        Weekday::Sunday => text!("day-sunday"),
    }
}

/// `Friday 4 December`, where the year is plain.
///
/// ```
/// use lorimant_core::words::date::on;
///
/// assert_eq!(on(jiff::civil::date(2026, 12, 4)), "Friday 4 December");
/// ```
#[must_use]
pub fn on(day: Date) -> String {
    text!("date-on", weekday = weekday(day), short = short(day))
}

/// `Friday 4 December 2026`.
#[must_use]
pub fn in_full(day: Date) -> String {
    text!("date-on", weekday = weekday(day), short = long(day))
}
