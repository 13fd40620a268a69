//! Days as people type them.
#![allow(clippy::unwrap_used, missing_docs)]

use jiff::civil::{Date, date};
use lorimant_core::reading::day::{read, read_past};
use proptest::prelude::*;
use rstest::rstest;

/// A Monday.
const TODAY: Date = date(2026, 11, 30);

#[rstest]
#[case("today", date(2026, 11, 30))]
#[case("tomorrow", date(2026, 12, 1))]
#[case("the day after tomorrow", date(2026, 12, 2))]
#[case("Friday", date(2026, 12, 4))]
#[case("fri", date(2026, 12, 4))]
#[case("by Thursday", date(2026, 12, 3))]
#[case("by 5 December", date(2026, 12, 5))]
#[case("Dec. 5", date(2026, 12, 5))]
#[case("this wed", date(2026, 12, 2))]
#[case("Monday", date(2026, 12, 7))]
#[case("in 10 days", date(2026, 12, 10))]
#[case("in two weeks", date(2026, 12, 14))]
#[case("2 weeks", date(2026, 12, 14))]
#[case("in a week", date(2026, 12, 7))]
#[case("3 weeks from now", date(2026, 12, 21))]
#[case("in a fortnight", date(2026, 12, 14))]
#[case("in 3 months", date(2027, 2, 28))]
#[case("end of the month", date(2026, 11, 30))]
#[case("end of December", date(2026, 12, 31))]
#[case("end of november", date(2026, 11, 30))]
#[case("end of Feb", date(2027, 2, 28))]
#[case("5 December", date(2026, 12, 5))]
#[case("5 dec", date(2026, 12, 5))]
#[case("Dec 5th", date(2026, 12, 5))]
#[case("the 5th of December", date(2026, 12, 5))]
#[case("December 5, 2026", date(2026, 12, 5))]
#[case("Sat 5 Dec", date(2026, 12, 5))]
#[case("1 sept", date(2027, 9, 1))]
#[case("30 Nov", date(2026, 11, 30))]
#[case("29 Nov", date(2027, 11, 29))]
#[case("29 February", date(2028, 2, 29))]
#[case("5 May 99", date(2099, 5, 5))]
#[case("2026-12-05", date(2026, 12, 5))]
#[case("2025-01-02", date(2025, 1, 2))]
#[case("5.12.", date(2026, 12, 5))]
#[case("5.12.2026", date(2026, 12, 5))]
#[case("25/12", date(2026, 12, 25))]
#[case("12/25", date(2026, 12, 25))]
#[case("12/25/2027", date(2027, 12, 25))]
#[case("3/3", date(2027, 3, 3))]
fn a_day_is_read(#[case] typed: &str, #[case] day: Date) {
    assert_eq!(read(typed, TODAY), Ok(day), "{typed}");
}

#[rstest]
#[case("today", date(2026, 11, 30))]
#[case("yesterday", date(2026, 11, 29))]
#[case("Friday", date(2026, 11, 27))]
#[case("last Monday", date(2026, 11, 23))]
#[case("3 days ago", date(2026, 11, 27))]
#[case("a week ago", date(2026, 11, 23))]
#[case("30 Nov", date(2026, 11, 30))]
#[case("1 Dec", date(2025, 12, 1))]
#[case("Fri 27 Nov", date(2026, 11, 27))]
#[case("5 May", date(2026, 5, 5))]
#[case("on 5 May", date(2026, 5, 5))]
#[case("on Friday", date(2026, 11, 27))]
#[case("Nov 3, 2026", date(2026, 11, 3))]
#[case("5.12.", date(2025, 12, 5))]
#[case("2024-02-29", date(2024, 2, 29))]
#[case("3 November 2026", date(2026, 11, 3))]
fn a_day_that_has_been_is_read(#[case] typed: &str, #[case] day: Date) {
    assert_eq!(read_past(typed, TODAY), Ok(day), "{typed}");
}

#[rstest]
#[case("tomorrow", "Tuesday 1 December 2026 is in the future")]
#[case("in 2 weeks", "is in the future")]
#[case("5 December 2027", "Sunday 5 December 2027 is in the future")]
#[case("5/12", "could be 5 December or 12 May")]
#[case("soon", "Write it as 5 December, Friday or 2 weeks ago")]
#[case("31 April", "There is no 31 April")]
fn what_has_not_been_is_said(#[case] typed: &str, #[case] text: &str) {
    let message = read_past(typed, TODAY).unwrap_err();
    assert!(message.contains(text), "{typed}: {message}");
}

#[rstest]
#[case("5/12", "could be 5 December or 12 May")]
#[case("04/05/2027", "could be 4 May or 5 April")]
#[case("next Friday", "could be 4 December or 11 December")]
#[case("Fri 5 Dec", "5 December 2026 is a Saturday")]
#[case("31 April", "There is no 31 April")]
#[case("29 February 2027", "There is no 29 February 2027")]
#[case("2026-13-05", "is not a day")]
#[case("soon", "Write it as 5 December, Friday or in 2 weeks")]
#[case("", "is not a day")]
#[case("5", "is not a day")]
#[case("in 5", "is not a day")]
#[case("in 1.5 weeks", "is not a day")]
#[case("in -3 days", "is not a day")]
#[case("on", "is not a day")]
#[case("in 99999999 days", "is not a day")]
#[case("december", "is not a day")]
#[case("0/0", "is not a day")]
fn what_is_no_day_or_two_is_said(#[case] typed: &str, #[case] text: &str) {
    let told = read(typed, TODAY).unwrap_err();
    assert!(told.contains(text), "{typed}: {told}");
}

proptest! {
    /// Nothing typed breaks it.
    #[test]
    fn anything_may_be_typed(typed in "[a-zA-Z0-9./ ,-]{0,16}") {
        let _ = read(&typed, TODAY);
    }

    /// Every day is read back from how it is told, with and without its year.
    #[test]
    fn a_day_that_is_told_is_read_back(ahead in 0_i32..365) {
        let day = TODAY.checked_add(jiff::Span::new().days(ahead)).unwrap();
        for told in ["%-d %B", "%B %-d", "%A %-d %B", "%Y-%m-%d", "%-d %b %Y", "%-d.%-m.%Y"] {
            let told = day.strftime(told).to_string();
            prop_assert_eq!(read(&told, TODAY), Ok(day), "{}", told);
        }
    }
}
