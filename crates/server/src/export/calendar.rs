//! Sittings as a calendar (iCalendar, RFC 5545).

use icalendar::{Calendar, Component as _, Event};
use jiff::Timestamp;
use lorimant_core::bench::sittings::agenda::{Agenda, AgendaSitting};
use lorimant_core::words::counted;

/// Sittings with work in them, and what runs by itself, as one calendar. Moments are written in universal time, so that
/// they are the same wherever summer time begins.
pub(crate) fn of(agenda: &Agenda, workshop: &str) -> String {
    let mut calendar = Calendar::new();
    calendar.name(if workshop.is_empty() { "Sittings at the bench" } else { workshop });
    for sitting in agenda.sittings.iter().filter(|one| !one.works.is_empty()) {
        let until = sitting.works.iter().map(|work| work.to).max().unwrap_or(sitting.to);
        calendar.push(event(
            "sitting",
            &title(sitting),
            &told(sitting),
            (sitting.from, until),
            agenda.begins,
        ));
    }
    for (i, alone) in agenda.alone.iter().enumerate() {
        let title = format!("{}: {}", alone.named, alone.name);
        let named = format!("alone-{i}");
        calendar.push(event(&named, &title, "Runs by itself.", (alone.from, alone.to), agenda.begins));
    }
    calendar.done().to_string()
}

fn title(sitting: &AgendaSitting) -> String {
    format!("At the bench, {}", counted(sitting.works.len(), "step"))
}

fn told(sitting: &AgendaSitting) -> String {
    let lines = sitting.works.iter().map(|work| format!("{} × {}, {}", work.n, work.named, work.name));
    lines.collect::<Vec<_>>().join("\n")
}

fn event(named: &str, title: &str, told: &str, (from, to): (Timestamp, Timestamp), made: Timestamp) -> Event {
    let utc = |at: Timestamp| at.strftime("%Y%m%dT%H%M%SZ").to_string();
    let mut event = Event::new();
    event
        .uid(&format!("{named}-{}@lorimant", from.as_second()))
        .summary(title)
        .description(told)
        .add_property("DTSTAMP", utc(made))
        .add_property("DTSTART", utc(from))
        .add_property("DTEND", utc(to));
    event.done()
}
