//! Hours at the bench: when somebody sits there, week by week, when the barrel must be silent, and what hands bear.

use jiff::civil::{Date, Time, Weekday};
use jiff::tz::TimeZone;
use jiff::{Timestamp, ToSpan as _, ZonedDateTime};
use serde::{Deserialize, Serialize};

use super::{TimeSpan, check_limits};
use crate::fault::{Fault, Faults};
use crate::words::words;
use lorimant_text::text;

words! {
    /// A day of the week.
    pub enum Day ("day") {
        /// Monday.
        Monday = "monday";
        /// Tuesday.
        Tuesday = "tuesday";
        /// Wednesday.
        Wednesday = "wednesday";
        /// Thursday.
        Thursday = "thursday";
        /// Friday.
        Friday = "friday";
        /// Saturday.
        Saturday = "saturday";
        /// Sunday.
        Sunday = "sunday";
    }
}

impl Day {
    /// The day of the week of a date.
    #[must_use]
    pub fn of(date: Date) -> Self {
        match date.weekday() {
            Weekday::Monday => Self::Monday,
            Weekday::Tuesday => Self::Tuesday,
            Weekday::Wednesday => Self::Wednesday,
            Weekday::Thursday => Self::Thursday,
            Weekday::Friday => Self::Friday,
            Weekday::Saturday => Self::Saturday,
            Weekday::Sunday => Self::Sunday,
        }
    }
}

/// A time at the bench that comes every week.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct BenchTime {
    /// On which day.
    pub day: Day,
    /// It begins, by the clock on the wall: `18:00`.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub from: Time,
    /// It ends, the same day.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub to: Time,
}

/// When somebody sits at the bench, and what hands and neighbours bear.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Hours {
    /// Times at the bench, week by week; no two at once.
    pub weekly: Vec<BenchTime>,
    /// The barrel must be silent from this time of day.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub quiet_from: Time,
    /// It may run again from this time of day.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub quiet_to: Time,
    /// Most minutes of hand work in one session.
    pub most_min: f64,
    /// Most of what hands feel in one session, as minutes of bending 20 AWG soft copper.
    pub most_effort_min: f64,
    /// A rest after so many minutes of hand work.
    pub rest_every_min: f64,
    /// How long a rest is, minutes.
    pub rest_min: f64,
}

/// No hours yet, with usual limits: when somebody is at the bench only they can say.
impl Default for Hours {
    fn default() -> Self {
        Self {
            weekly: vec![],
            quiet_from: Time::constant(21, 0, 0, 0),
            quiet_to: Time::constant(7, 0, 0, 0),
            most_min: 120.0,
            most_effort_min: 240.0,
            rest_every_min: 30.0,
            rest_min: 5.0,
        }
    }
}

/// Most times at the bench in a week.
const MOST_TIMES: usize = 28;

impl Hours {
    /// Two evenings and a Saturday morning: Tuesday and Thursday from 18:00 to 20:00, Saturday from 9:00 to 12:00.
    #[must_use]
    pub fn evenings() -> Self {
        let from_to = |day, from, to| BenchTime {
            day,
            from: Time::constant(from, 0, 0, 0),
            to: Time::constant(to, 0, 0, 0),
        };
        let weekly = vec![
            from_to(Day::Tuesday, 18, 20),
            from_to(Day::Thursday, 18, 20),
            from_to(Day::Saturday, 9, 12),
        ];
        Self { weekly, ..Self::default() }
    }

    /// Checks that times end after they begin and do not run into each other, and that limits are some.
    ///
    /// # Errors
    /// A fault for each that cannot be.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        let limits = [self.most_min, self.most_effort_min, self.rest_every_min, self.rest_min];
        check_limits(&mut faults, limits);
        if self.weekly.len() > MOST_TIMES {
            let message = text!("hours-sessions-week-too-many-enter", weekly = self.weekly.len(), MOST_TIMES);
            faults.add(Fault::new("weekly", message));
        }
        for (i, one) in self.weekly.iter().enumerate().take(MOST_TIMES) {
            if one.to <= one.from {
                let message = text!("hours-ends-before-starts-enter-end", day = one.day);
                faults.add(Fault::new(format!("weekly[{i}].to"), message));
            }
            let into = |other: &BenchTime| one.day == other.day && one.from < other.to && other.from < one.to;
            if self.weekly[..i].iter().any(into) {
                let message = text!("hours-two-sessions-overlap", day = one.day);
                faults.add(Fault::new(format!("weekly[{i}].from"), message));
            }
        }
        faults.into_result()
    }

    /// The sessions of so many days from a moment on, by the clock on the wall: nine o'clock stays nine o'clock when summer
    /// time begins. A session that has begun already begins at that moment.
    ///
    /// ```
    /// use jiff::{civil::date, tz::TimeZone};
    /// use lorimant_core::bench::schedule::hours::Hours;
    ///
    /// // A Monday at noon; Tuesday and Thursday evening and Saturday morning follow.
    /// let zone = TimeZone::UTC;
    /// let monday = date(2026, 3, 2).at(12, 0, 0, 0).to_zoned_datetime(zone).unwrap();
    /// let sessions = Hours::evenings().sessions(&monday, 7);
    /// assert_eq!(sessions.len(), 3);
    /// assert_eq!(sessions[0].from_min, 30.0 * 60.0);
    /// ```
    #[must_use]
    pub fn sessions(&self, begins: &ZonedDateTime, days: u32) -> Vec<TimeSpan> {
        let now = begins.timestamp();
        let mut found: Vec<TimeSpan> = vec![];
        for date in dates(begins.date(), days) {
            for one in self.weekly.iter().filter(|one| one.day == Day::of(date)) {
                let at = |time| minutes(now, date, time, begins.time_zone());
                let (Some(from_min), Some(to_min)) = (at(one.from), at(one.to)) else { continue };
                // A minute is too short to sit down for.
                if to_min > from_min.max(0.0) + 1.0 {
                    found.push(TimeSpan { from_min: from_min.max(0.0), to_min });
                }
            }
        }
        found.sort_by(|a, b| a.from_min.total_cmp(&b.from_min));
        found
    }

    /// When the barrel must be silent, over the same days.
    #[must_use]
    pub fn quiet(&self, begins: &ZonedDateTime, days: u32) -> Vec<TimeSpan> {
        if self.quiet_from == self.quiet_to {
            return vec![];
        }
        let now = begins.timestamp();
        let mut found = vec![];
        let before = begins.date().saturating_sub(1.day());
        for date in dates(before, days.saturating_add(2)) {
            let end = if self.quiet_to > self.quiet_from { date } else { date.saturating_add(1.day()) };
            let from_min = minutes(now, date, self.quiet_from, begins.time_zone());
            let to_min = minutes(now, end, self.quiet_to, begins.time_zone());
            if let (Some(from_min), Some(to_min)) = (from_min, to_min)
                && to_min > from_min
            {
                found.push(TimeSpan { from_min, to_min });
            }
        }
        found
    }
}

/// So many days from a date on.
fn dates(from: Date, days: u32) -> impl Iterator<Item = Date> {
    (0..days.min(366)).map(move |i| from.saturating_add(i64::from(i).days()))
}

/// Minutes from a moment to a time of day.
fn minutes(now: Timestamp, date: Date, time: Time, zone: &TimeZone) -> Option<f64> {
    let then = date.to_datetime(time).to_zoned_datetime(zone.clone()).ok()?.timestamp();
    Some(now.duration_until(then).as_secs_f64() / 60.0)
}

/// Minutes from a moment to the end of a day.
pub(super) fn end_of(now: Timestamp, day: Date, zone: &TimeZone) -> Option<f64> {
    minutes(now, day.saturating_add(1.day()), Time::midnight(), zone)
}

/// The moment so many minutes after another.
pub(super) fn after(now: Timestamp, min: f64) -> Timestamp {
    let span = jiff::SignedDuration::try_from_secs_f64((min * 60.0).round()).unwrap_or_default();
    now.checked_add(span).unwrap_or(now)
}
