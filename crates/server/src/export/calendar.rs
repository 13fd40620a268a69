//! The schedule as a calendar (iCalendar, RFC 5545).

use icalendar::{Calendar, Component as _, Event};
use jiff::Timestamp;
use lorimant_core::bench::schedule::agenda::{Agenda, AgendaSession, JobOf};
use lorimant_core::words::listed;
use lorimant_text::{fixed, text};

/// Sessions with work in them, and what runs by itself, as one calendar. Moments are written in universal time, so that
/// they are the same wherever summer time begins.
pub(crate) fn of(agenda: &Agenda, workshop: &str) -> String {
    let mut calendar = Calendar::new();
    calendar.name(if workshop.is_empty() { text!("paper-calendar-bench-sessions") } else { workshop });
    for session in agenda.sessions.iter().filter(|one| !one.runs.is_empty()) {
        let until = session.runs.iter().map(|run| run.to).max().unwrap_or(session.to);
        calendar.push(event(
            // A session that is sat through now begins later each minute, and ends when it ends.
            &format!("session-{}", session.to.as_second()),
            &title(session),
            &told(session),
            (session.from, until),
            agenda.begins,
        ));
    }
    for (i, alone) in agenda.unattended.iter().enumerate() {
        let title = format!("{}: {}", alone.named, alone.name);
        // The first, the second load of the same: each its own event, the same however often it is planned.
        let nth = agenda.unattended[..i]
            .iter()
            .filter(|one| one.of == alone.of && one.named == alone.named)
            .count();
        let named = format!("alone-{}-{}-{nth}", whose(alone.of), alone.named.replace(' ', "-"));
        calendar.push(event(
            &named,
            &title,
            text!("paper-calendar-runs-on-its-own"),
            (alone.from, alone.to),
            agenda.begins,
        ));
    }
    calendar.done().to_string()
}

fn title(session: &AgendaSession) -> String {
    let names: Vec<String> = session.runs.iter().map(|run| run.name.clone()).collect();
    let mut each = names.clone();
    each.dedup();
    text!("paper-calendar-at-bench", each = listed(&each))
}

fn told(session: &AgendaSession) -> String {
    let lines = session
        .runs
        .iter()
        .map(|run| text!("paper-calendar-about-min", run = run.line(), hands_min = fixed(run.hands_min, 0)));
    lines.collect::<Vec<_>>().join("\n")
}

/// Whose work it is, in letters that a calendar can tell apart: the same however often it is planned.
fn whose(of: JobOf) -> String {
    match of {
        JobOf::Batch(batch) => format!("batch-{batch}"),
        JobOf::Line { order, line } => format!("order-{order}-{line}"),
    }
}

fn event(named: &str, title: &str, told: &str, (from, to): (Timestamp, Timestamp), made: Timestamp) -> Event {
    let utc = |at: Timestamp| at.strftime("%Y%m%dT%H%M%SZ").to_string();
    let mut event = Event::new();
    event
        .uid(&format!("{named}@lorimant"))
        .summary(title)
        .description(told)
        .add_property("DTSTAMP", utc(made))
        .add_property("DTSTART", utc(from))
        .add_property("DTEND", utc(to));
    event.done()
}

#[cfg(test)]
mod tests {
    #![allow(clippy::unwrap_used)]

    use jiff::civil::{Time, date};
    use jiff::tz::TimeZone;
    use lorimant_core::bench::Batch;
    use lorimant_core::bench::schedule::agenda::{Wanted, laid::Laid};
    use lorimant_core::bench::schedule::hours::{BenchTime, Day, Hours};
    use lorimant_core::bench::times::Times;
    use lorimant_core::pattern::PatternRequest;
    use lorimant_core::piece::Piece;
    use lorimant_core::tool::workshop::Workshop;

    use super::*;

    /// A batch that takes three loads of the tumbler has three events for them, each its own.
    #[test]
    fn each_load_is_an_event_of_its_own() {
        use lorimant_core::tool::gear::Gear;
        use lorimant_core::tool::method::{Hardening, Methods};
        let workshop = Workshop { gear: Gear { barrel_g: 5.0, ..Gear::default() }, ..Workshop::default() };
        let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
        let methods = Some(Methods { hardening: Hardening::Tumble, ..Methods::default() });
        let batch = Batch { methods, ..Batch::of("clasps", hook, 24) };
        let tasks = batch.tasks(&workshop).unwrap();
        let progress = batch.progress(&tasks, &[]);
        let wanted = Wanted { of: JobOf::Batch(1), batch, tasks, progress, due: None, orders: vec![] };
        let begins = date(2026, 3, 2).at(12, 0, 0, 0).to_zoned_datetime(TimeZone::UTC).unwrap();
        let with = (&Hours::evenings(), &workshop.gear, &Times::default());
        let laid = Laid::out(&[wanted], with, &[], &begins, 28);
        let planned = laid.sessions.plan(1, &|at| at.tried_n < 5).unwrap();
        let text = of(&laid.agenda(&planned, &[]), "Workshop");
        let uids: Vec<&str> = text.lines().filter(|line| line.starts_with("UID:alone-")).collect();
        let own: std::collections::BTreeSet<&&str> = uids.iter().collect();
        assert!(uids.len() > 1 && own.len() == uids.len(), "{uids:?}");
    }

    /// Six in the evening by the clock on the wall is five in universal time before summer time begins, and four after.
    #[test]
    fn the_clock_on_the_wall_stays_across_the_change_to_summer_time() {
        let workshop = Workshop::default();
        let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
        let batch = Batch::of("clasps; for Mara, \"lake\"", hook, 60);
        let tasks = batch.tasks(&workshop).unwrap();
        let progress = batch.progress(&tasks, &[]);
        let wanted = Wanted { of: JobOf::Batch(1), batch, tasks, progress, due: None, orders: vec![] };
        let evening = |day: &Day| BenchTime {
            day: *day,
            from: Time::constant(18, 0, 0, 0),
            to: Time::constant(20, 0, 0, 0),
        };
        let hours = Hours { weekly: Day::ALL.iter().map(evening).collect(), ..Hours::evenings() };
        // The Friday before the last Sunday of March.
        let zone = TimeZone::get("Europe/Vienna").unwrap();
        let begins = date(2026, 3, 27).at(12, 0, 0, 0).to_zoned_datetime(zone).unwrap();
        let with = (&hours, &workshop.gear, &Times::default());
        let laid = Laid::out(&[wanted], with, &[], &begins, 7);
        let planned = laid.sessions.plan(1, &|at| at.tried_n < 5).unwrap();
        let text = of(&laid.agenda(&planned, &[]), "Workshop");
        let calendar = ical::IcalParser::new(text.as_bytes()).next().unwrap().unwrap();
        let starts: Vec<String> = calendar
            .events
            .iter()
            .map(|event| {
                let start = event.properties.iter().find(|one| one.name == "DTSTART").unwrap();
                start.value.clone().unwrap()
            })
            .collect();
        let expected = ["20260327T170000Z", "20260328T170000Z", "20260329T160000Z", "20260330T160000Z"];
        assert_eq!(starts[..4], expected);
        // What has a meaning in the format is read back as it was.
        let told = calendar.events[0].properties.iter().find(|one| one.name == "DESCRIPTION").unwrap();
        assert!(told.value.clone().unwrap().contains("clasps\\; for Mara\\, \"lake\""), "{told:?}");
    }
}
