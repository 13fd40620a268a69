//! The day's sheet: what is done at the bench on a day, step by step, on A4.

use jiff::Timestamp;
use jiff::civil::Date;
use jiff::tz::TimeZone;
use lorimant_core::bench::schedule::agenda::{Agenda, BatchRun, SessionStep};
use lorimant_core::words::date;

use super::pdf;
use super::svg::{Page, Type};
use crate::progress::Progress;
use lorimant_text::{fixed, text};

const WIDTH: f64 = 210.0;
const HEIGHT: f64 = 297.0;
const LEFT: f64 = 16.0;
const RIGHT: f64 = WIDTH - 16.0;
/// Where steps begin, behind the clock and the box to tick.
const STEPS: f64 = LEFT + 26.0;
const FOOT: f64 = HEIGHT - 18.0;

/// What a step says beside its place in the day.
pub(crate) struct Told {
    /// The number to read off, `61.5 mm`, and what it is of.
    pub reads: String,
    /// What to do, in a sentence.
    pub instruction: String,
    /// Its caution.
    pub caution: String,
}

/// The sheet of a day as PDF; what a step says is asked for.
pub(crate) fn pdf(
    agenda: &Agenda,
    day: Date,
    (workshop, zone): (&str, &TimeZone),
    told: impl Fn(&BatchRun, &SessionStep) -> Told,
    progress: &Progress,
) -> anyhow::Result<Vec<u8>> {
    pdf::from_pages(&draw(agenda, day, (workshop, zone), told), progress)
}

fn draw(
    agenda: &Agenda,
    day: Date,
    (workshop, zone): (&str, &TimeZone),
    told: impl Fn(&BatchRun, &SessionStep) -> Told,
) -> Vec<String> {
    let wall = |at: Timestamp| at.to_zoned_datetime(zone.clone()).strftime("%H:%M").to_string();
    let title = text!("paper-day-sheet-at-bench", day = date::in_full(day));
    let begun = || {
        let mut page = Page::new(WIDTH, HEIGHT);
        page.text(LEFT, 20.0, Type::serif(7.0).bold(), &title);
        page.text(RIGHT, 20.0, Type::sans(3.2).quiet().anchored("end"), workshop);
        page.rule(LEFT, RIGHT, 24.0);
        page.text(
            LEFT,
            HEIGHT - 8.0,
            Type::sans(2.8).quiet(),
            text!("paper-day-sheet-minutes-estimates-rest-when-your"),
        );
        page
    };
    let mut pages = vec![];
    let mut page = begun();
    let mut y = 32.0;
    let mut cautions: Vec<String> = vec![];
    let of_day: Vec<_> = agenda.sessions.iter().filter(|one| one.day == day && !one.skipped).collect();
    if of_day.iter().all(|one| one.runs.is_empty()) {
        page.text(LEFT, y, Type::serif(5.0), text!("paper-day-sheet-nothing-planned-for-this-day"));
    }
    for session in of_day {
        let head = text!(
            "paper-day-sheet-about-min-handwork",
            clock = session.clock,
            hands_min = fixed(session.hands_min, 0)
        );
        page.text(LEFT, y, Type::sans(4.2).bold(), &head);
        y += 8.0;
        for run in &session.runs {
            if y > FOOT - 24.0 {
                pages.push(std::mem::replace(&mut page, begun()).finish(&title));
                y = 32.0;
            }
            page.text(LEFT, y, Type::sans(4.2).bold(), &wall(run.from));
            let line =
                text!("paper-day-sheet-about-min", run = run.line(), hands_min = fixed(run.hands_min, 0));
            page.text(LEFT + 16.0, y, Type::serif(4.8).bold(), &line);
            y += 7.0;
            for work in &run.steps {
                if y > FOOT - 16.0 {
                    pages.push(std::mem::replace(&mut page, begun()).finish(&title));
                    y = 32.0;
                }
                let says = told(run, work);
                page.frame((LEFT + 16.0, y - 3.4), (4.0, 4.0));
                let n = match work.n < work.of_n {
                    true => text!("paper-day-sheet-of", n = work.n, of_n = work.of_n),
                    false => work.n.to_string(),
                };
                page.text(STEPS, y, Type::sans(3.8).bold(), &format!("{n} × {}", work.named));
                page.text(RIGHT, y, Type::sans(3.8).bold().anchored("end"), &says.reads);
                y = page.paragraph(STEPS, y + 5.0, Type::sans(3.4), RIGHT - STEPS, &says.instruction);
                if !says.caution.is_empty() && !cautions.contains(&says.caution) {
                    y = page.paragraph(STEPS, y, Type::sans(3.0).quiet(), RIGHT - STEPS, &says.caution);
                    cautions.push(says.caution);
                }
                y += 3.0;
            }
            y += 3.0;
        }
        y += 4.0;
    }
    let alone = agenda.unattended.iter().filter(|one| one.from.to_zoned_datetime(zone.clone()).date() == day);
    for one in alone {
        let line = text!(
            "paper-day-sheet-on-its-own",
            from = wall(one.from),
            to = wall(one.to),
            named = one.named,
            name = one.name
        );
        if y > FOOT {
            pages.push(std::mem::replace(&mut page, begun()).finish(&title));
            y = 32.0;
        }
        page.text(LEFT, y, Type::sans(3.6), &line);
        y += 6.0;
    }
    pages.push(page.finish(&title));
    pages
}
