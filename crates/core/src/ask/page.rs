//! Lines that name a page or what is done there: `springback`, `pull test`, `back up`.

use super::answer::{Answer, View};
use lorimant_text::Text;

/// A page: where it is opened, what it is for, and what it goes by.
struct Page {
    opens: Option<View>,
    about: Text,
    names: &'static [&'static str],
}

const PAGES: &[Page] = &[
    Page {
        opens: Some(View::Tools),
        about: Text::named("page-tools"),
        names: &["tools", "rods", "mandrels", "pliers", "blades", "add a rod", "add pliers", "add a tool"],
    },
    Page {
        opens: Some(View::Orders),
        about: Text::named("page-orders"),
        names: &["orders", "order", "new order", "add an order", "add order", "customers"],
    },
    Page {
        opens: Some(View::Schedule),
        about: Text::named("page-schedule"),
        names: &[
            "schedule",
            "calendar",
            "sessions",
            "session",
            "hours",
            "working hours",
            "day sheet",
            "timetable",
        ],
    },
    Page {
        opens: Some(View::FinishedStock),
        about: Text::named("page-finished-stock"),
        names: &["finished stock", "bags", "finished pieces", "inventory", "labels"],
    },
    Page {
        opens: Some(View::Stock),
        about: Text::named("page-stock"),
        names: &[
            "stock",
            "wire stock",
            "wire",
            "spools",
            "lots",
            "add a spool",
            "add a lot",
            "add wire",
            "new wire",
            "offcuts",
            "scrap",
            "ledger",
        ],
    },
    Page {
        opens: Some(View::CuttingPlan),
        about: Text::named("page-cutting-plan"),
        names: &["cutting plan", "cut plan", "cutting", "cutting list", "cut list"],
    },
    Page {
        opens: Some(View::WhichWire),
        about: Text::named("page-choose-wire"),
        names: &["choose wire", "choose a wire", "compare wire", "compare wires"],
    },
    Page {
        opens: Some(View::Bench),
        about: Text::named("page-bench"),
        names: &["bench", "batches", "batch", "start a batch", "start batch"],
    },
    Page {
        opens: Some(View::Measurements),
        about: Text::named("page-measurements"),
        names: &[
            "measure",
            "measurements",
            "measuring",
            "calipers",
            "caliper",
            "check a piece",
            "measure a piece",
        ],
    },
    Page {
        opens: Some(View::Springback),
        about: Text::named("page-springback"),
        names: &[
            "springback",
            "spring back",
            "pull test",
            "pull tests",
            "add pull test",
            "add a pull test",
            "tensile test",
            "test my wire",
            "measure my wire",
            "how springy is my wire",
            "how hard is my wire",
            "how strong is my wire",
        ],
    },
    Page {
        opens: Some(View::Practice),
        about: Text::named("page-practice"),
        names: &["practice", "practise", "exercises", "exercise", "drills"],
    },
    Page {
        opens: Some(View::Consistency),
        about: Text::named("page-consistency"),
        names: &["consistency", "consistent", "how consistent am i", "my consistency"],
    },
    Page {
        opens: Some(View::Jaws),
        about: Text::named("page-jaws"),
        names: &["jaw marks", "jaws", "jaw", "mark my pliers", "marks on pliers"],
    },
    Page {
        opens: Some(View::Fix),
        about: Text::named("trouble-find-likely-cause-what-change"),
        names: &["fix a problem", "problem", "problems", "troubleshooting", "what went wrong"],
    },
    Page {
        opens: Some(View::Findings),
        about: Text::named("page-findings"),
        names: &["findings", "all findings", "patterns"],
    },
    Page {
        opens: Some(View::Saved),
        about: Text::named("page-saved"),
        names: &["saved", "saved pieces", "saved plans", "my pieces", "my plans", "my findings"],
    },
    Page {
        opens: Some(View::Reference),
        about: Text::named("page-reference"),
        names: &[
            "reference",
            "metals",
            "gauges",
            "gauge table",
            "gauge chart",
            "wire gauges",
            "tempers",
            "hardness",
            "work hardening",
            "hardening",
        ],
    },
    Page {
        opens: Some(View::Help),
        about: Text::named("page-help"),
        names: &[
            "help",
            "keys",
            "shortcuts",
            "keyboard",
            "keyboard shortcuts",
            "how does this work",
            "manual",
        ],
    },
    Page {
        opens: None,
        about: Text::named("page-settings"),
        names: &[
            "settings",
            "units",
            "backup",
            "back up",
            "restore",
            "passphrase",
            "password",
            "export",
            "import",
            "currency",
            "dark mode",
        ],
    },
];

/// The answer to a line that is the name of a page; nothing for any other line.
pub(super) fn answer_page(typed: &str) -> Option<Answer> {
    let lower = typed.to_lowercase();
    let line = lower.trim().trim_end_matches(['?', '!', '.']).trim();
    let name = ["open ", "show me ", "show ", "go to ", "where is ", "where are ", "my ", "the "]
        .iter()
        .fold(line, |name, lead| name.strip_prefix(lead).unwrap_or(name).trim_start());
    let called = |page: &&Page| page.names.iter().any(|known| *known == name || *known == line);
    let page = PAGES.iter().find(called)?;
    Some(Answer { headline: page.about.as_str().to_owned(), opens: page.opens, ..Answer::default() })
}
