//! The pattern card: a finding on one page, its drawing and its blank at true size, with bars to check
//! the printer by; and the label for its bag.

use lorimant_core::pattern::mark::Mark;
use lorimant_core::pattern::sheet::{measured, on_strip};
use lorimant_core::words::length::{LengthUnit, on_ruler};

use super::finding::Finding;
use super::label::{self, Label};
use super::svg::{INK, Page, Type, lightened, paragraph_mm, shaded};
use super::typeset::wrapped;
use lorimant_text::{fixed, text};

/// A size of paper, mm, with how many times the usual its text is set.
#[derive(Clone, Copy)]
pub(super) struct Paper {
    width: f64,
    height: f64,
    margin: f64,
    text: f64,
}

pub(super) const A4: Paper = Paper { width: 210.0, height: 297.0, margin: 16.0, text: 1.0 };
pub(super) const A5: Paper = Paper { width: 148.0, height: 210.0, margin: 10.0, text: 0.84 };

/// Draws the card as SVG, one unit a millimetre: as many pages as its steps take.
pub(super) fn draw(of: &Finding, paper: Paper) -> Vec<String> {
    let mut card =
        Card { page: Page::new(paper.width, paper.height), paper, name: &of.pattern.name, done: vec![] };
    let Paper { margin, text, .. } = paper;
    let right = paper.width - margin;
    card.page.text(margin, margin + 5.0, Type::serif(7.4 * text).bold(), &of.pattern.name);
    card.page.text(right, margin + 1.0, card.small().anchored("end"), &of.workshop);
    card.page.text(right, margin + 5.0, card.small().anchored("end"), &of.date);
    card.page.rule(margin, right, margin + 8.0);
    let mut y = card.paragraph(margin, margin + 14.0, Type::serif(4.9 * text), &of.sheet.text);
    if !of.pattern.note.trim().is_empty() {
        y = card.paragraph(margin, y + 0.5, card.small(), &of.pattern.note);
    }
    y = card.pieces(of, y + 3.0);
    y = card.blank(of, y + 5.0 * text);
    y = card.steps(of, y + 5.0 * text);
    card.for_the_bag(of, y + 1.0);
    card.turn();
    card.done
}

/// The same on one page, however long: a drawing to work on has no pages.
pub(super) fn drawn(of: &Finding) -> String {
    let mut paper = A4;
    loop {
        let mut pages = draw(of, paper);
        match pages.pop() {
            Some(page) if pages.is_empty() => return page,
            _ => paper.height += A4.height / 2.0,
        }
    }
}

struct Card<'a> {
    page: Page,
    paper: Paper,
    name: &'a str,
    /// The pages that are full.
    done: Vec<String>,
}

impl Card<'_> {
    /// Where the bars to check the printer by stand.
    fn foot(&self) -> f64 {
        self.paper.height - 17.0
    }

    /// Ends the page and begins the next.
    fn turn(&mut self) {
        let Paper { width, height, margin, text } = self.paper;
        let foot = self.foot();
        self.page.check_bar("check-50-mm", margin, foot, 50.0, text!("paper-card-50-mm-measure-before-you"));
        self.page.check_bar("check-2-in", width - margin - 50.8, foot, 50.8, text!("paper-card-2-in"));
        let message = text!("paper-card-lorimant-card-strength-cracking-figures");
        self.page.text(margin, height - 5.0, Type::sans(2.5).quiet(), message);
        let mut next = Page::new(width, height);
        let head = text!("paper-card-page", name = self.name, done = self.done.len() + 2);
        next.text(margin, margin + 4.0, Type::serif(5.2 * text).bold(), &head);
        next.rule(margin, width - margin, margin + 7.0);
        self.done.push(std::mem::replace(&mut self.page, next).finish(self.name));
    }

    /// Where to go on with what is so tall: here, or at the head of the next page where this one has no room for it.
    fn place(&mut self, y: f64, tall: f64) -> f64 {
        if y + tall <= self.foot() - 6.0 {
            return y;
        }
        self.turn();
        self.paper.margin + 14.0
    }

    /// Lines below each other, on as many pages as they take; gives the y of the line after the last.
    fn paragraph(&mut self, x: f64, y: f64, set: Type, text: &str) -> f64 {
        let width = self.paper.width - self.paper.margin - x;
        let mut line_y = y;
        for line in wrapped(set, text, width) {
            line_y = self.place(line_y, 0.0);
            line_y = self.page.lines(x, line_y, set, &[line]);
        }
        line_y
    }

    fn room(&self) -> f64 {
        self.paper.width - 2.0 * self.paper.margin
    }

    fn small(&self) -> Type {
        Type::sans(3.1 * self.paper.text).quiet()
    }

    fn heading(&mut self, x: f64, y: f64, text: &str) {
        let set = Type::sans(3.4 * self.paper.text).bold();
        self.page.text(x, y, set, text);
    }

    /// The piece from front and side at true size, and once larger with its dimensions.
    fn pieces(&mut self, of: &Finding, y: f64) -> f64 {
        let margin = self.paper.margin;
        let (front, side) = (&of.worked.front.drawing, &of.worked.side.drawing);
        let colour = &of.worked.colour;
        let mut bare = front.clone();
        bare.dimensions.clear();
        let form = &of.worked.form;
        // The frame of the front view has its dimensions' room in it; the piece itself is as large as it is.
        let true_width = front.frame.width_mm + side.frame.width_mm + 14.0;
        let fits =
            (self.room() * 0.62 / true_width).min(self.paper.height * 0.36 / front.frame.height_mm).min(1.0);
        let left = margin + (true_width * fits + 16.0).max(self.room() * 0.36);
        let room = self.paper.width - margin - left;
        let true_height = front.frame.height_mm.max(form.height_mm) * fits;
        let tall = (self.paper.height * 0.25 * self.paper.text).max(true_height);
        let large = ((room - 16.0) / front.frame.width_mm).min(tall / front.frame.height_mm).max(0.05);
        let height = (4.0 + true_height).max(6.0 + front.frame.height_mm * large) + 2.0;
        let y = self.place(y, height);
        let size = if fits < 1.0 {
            text!("paper-card-true-size", fits = fixed(fits * 100.0, 0))
        } else {
            text!("paper-card-true-size-2").to_owned()
        };
        self.heading(margin, y, &text!("paper-card-front-side", size));
        self.page.drawing((margin, y + 4.0), fits, &bare, colour);
        let beside = margin + (front.frame.width_mm + 10.0) * fits;
        let top = y + 4.0 + (side.frame.top_mm - front.frame.top_mm) * fits;
        self.page.drawing((beside, top), fits, side, colour);
        let in_mm = if of.unit == LengthUnit::Mm { text!("paper-card-mm") } else { "" };
        self.heading(left, y, &text!("paper-card-times-with-its-dimensions", large = fixed(large, 1), in_mm));
        self.page.dimensioned((left + 4.0, y + 6.0), large, front, colour);
        y + height
    }

    /// The blank at true size with its marks, in as many rows as the page needs.
    fn blank(&mut self, of: &Finding, y: f64) -> f64 {
        let (margin, room) = (self.paper.margin, self.room());
        let blank = &of.worked.form.blank;
        let thick = of.worked.thickness_mm;
        let rows = (blank.flush_mm / room).ceil().max(1.0);
        let more = if rows > 1.0 {
            text!("paper-card-in-rows-that-follow-on", rows = fixed(rows, 0))
        } else {
            String::new()
        };
        let title =
            text!("paper-card-blank-true-size-cut-flush", more, flush_mm = on_ruler(blank.flush_mm, of.unit));
        let row_mm = thick + 13.0;
        let y = self.place(y, 8.5 + row_mm);
        self.heading(margin, y, &title);
        let mut top = y + 8.5;
        let (mut from, mut row) = (0.0, 0);
        while from < blank.flush_mm - 1e-9 && row < 12 {
            let to = (from + room).min(blank.flush_mm);
            top = self.place(top, row_mm - 5.0);
            let id = if row == 0 { "blank".to_owned() } else { format!("blank-{row}") };
            self.page.rect(&id, (margin, top), (to - from, thick), &lightened(&of.worked.colour, 0.25));
            for (i, mark) in of.worked.form.marks.iter().enumerate() {
                self.zone((i, mark), (from, to), top, thick, of);
            }
            (from, row, top) = (to, row + 1, top + row_mm);
        }
        top - 5.0
    }

    fn zone(
        &mut self,
        (index, mark): (usize, &Mark),
        (from, to): (f64, f64),
        top: f64,
        thick: f64,
        of: &Finding,
    ) {
        let (start, end) = (mark.at_mm.max(from), mark.to_mm.min(to));
        let x = |mm: f64| self.paper.margin + mm - from;
        if end > start {
            let (at, width) = (x(start), end - start);
            self.page.rect(
                &format!("zone-{}", mark.segment_n),
                (at, top),
                (width, thick),
                &shaded(&of.worked.colour, 0.6),
            );
        }
        if (from..to).contains(&mark.at_mm) {
            let at = x(mark.at_mm);
            self.page.line((at, top - 2.0), (at, top + thick + 2.0), INK, 0.2);
            // Marks close together stand on two heights.
            let crowded = index % 2 == 1;
            let label = Type::sans(2.7 * self.paper.text);
            self.page.text(
                at,
                if crowded { top - 5.0 } else { top - 2.5 },
                label,
                &on_strip(mark.at_mm, of.unit),
            );
            let below = if crowded { top + thick + 7.0 } else { top + thick + 4.4 };
            self.page.text(at + 0.4, below, label.quiet(), mark.what);
        }
    }

    /// The steps with their cautions, on as many pages as they take.
    fn steps(&mut self, of: &Finding, y: f64) -> f64 {
        let margin = self.paper.margin;
        let set = Type::sans(3.5 * self.paper.text);
        let y = self.place(y, 4.0 * set.size);
        self.heading(margin, y, "Steps");
        let mut y = y + 5.0 * self.paper.text;
        for step in &of.worked.form.steps {
            let texts = [Some(step.text.as_str()), step.hint.as_deref(), step.caution];
            let texts: Vec<&str> = texts.into_iter().flatten().collect();
            let tall = paragraph_mm(set, &texts.join(" "), self.room() - 6.0);
            y = self.place(y, tall - set.size);
            self.page.text(margin, y, set.bold(), &format!("{}", step.step_n));
            y = self.paragraph(margin + 6.0, y, set, &texts.join(" ")) + 0.8;
        }
        y
    }

    /// What the label for the bag says, in one line.
    fn for_the_bag(&mut self, of: &Finding, y: f64) {
        let rows = bag_rows(of).into_iter().filter(|(_, text)| !text.is_empty());
        let rows: Vec<String> = rows.map(|(title, text)| format!("{title} {text}")).collect();
        let text = text!("paper-card-for-bag", rows = rows.join("; "));
        self.paragraph(self.paper.margin, y, self.small(), &text);
    }
}

/// What a label says of a finding.
fn bag_rows(of: &Finding) -> Vec<(&'static str, String)> {
    let (form, unit) = (&of.worked.form, of.unit);
    // A place on a jaw is remembered by the bag; a rod or step names itself.
    let jaw = form.marks.iter().find(|mark| mark.jaw_mm.is_some()).or(form.marks.first());
    let marks: Vec<String> = measured(&form.marks).map(|mark| mark.place_told()).collect();
    vec![
        (text!("paper-card-wire"), of.pattern.request.wire.shown(unit)),
        (text!("paper-card-finding"), of.pattern.request.kind.0.name.to_string()),
        (text!("paper-card-each-blank"), on_ruler(form.blank.flush_mm, unit)),
        (text!("paper-card-marks"), marks.join(", ")),
        (text!("paper-card-wraps"), of.pattern.request.wraps_told().unwrap_or_default()),
        (text!("paper-card-held-on"), jaw.map_or_else(String::new, |mark| mark.held_told(unit))),
    ]
}

/// Draws the label for the bag.
pub(super) fn label(of: &Finding) -> String {
    let request = &of.pattern.request;
    label::of(&Label {
        name: &of.pattern.name,
        count: request.count_shown(),
        rows: bag_rows(of),
        date: &of.date,
        workshop: &of.workshop,
        typed: String::new(),
        code: None,
    })
}
