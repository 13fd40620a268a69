//! A task: one operation of the route, for all pieces of a batch.

use serde::Serialize;

use super::Batch;
use super::at_tool::at_tool;
use crate::drawing::Drawing;
use crate::fault::Faults;
use crate::making::telling::{LEVEL_MM, turned};
use crate::making::workpiece::ClosedBy;
use crate::making::{Numbers, Operation, Step};
use crate::piece::Piece;
use crate::piece::in_hand::InHand;
use crate::rack::stock::scrap::Cleanliness;
use crate::tool::workshop::Workshop;
use crate::words::length::{LengthUnit, caliper, on_ruler, shown, thickness};
use crate::words::words;
use lorimant_text::{fixed, text};

words! {
    /// What the presses of a task count.
    pub enum Counted ("counted") {
        /// Pieces of a finding.
        Piece = "piece";
        /// Rings.
        Ring = "ring";
        /// Coils.
        Coil = "coil";
        /// Open rings put into a chain.
        Placing = "placing";
        /// Nothing one by one: it is done once for all.
        Once = "once";
    }
}

impl Counted {
    /// So many of it in words: `3 coils`; what is done once for all is not counted.
    pub(super) fn so_many(self, n: u32) -> String {
        match self {
            Self::Piece => text!("count-piece", n),
            Self::Ring => text!("count-ring", n),
            Self::Coil => text!("count-coil", n),
            Self::Placing => text!("count-ring-added", n),
            Self::Once => text!("counted-none").to_owned(),
        }
    }
}

/// One operation of the route, for all pieces of a batch.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Task {
    /// The operation with this piece's numbers, its instruction, hint and caution.
    pub step: Step,
    /// The number to read from a metre away: `61.5 mm`, `7 turns`; nothing where the instruction has none.
    pub number: String,
    /// What it is: `cut`, `on 3.02 mm`.
    pub number_of: String,
    /// What one press counts.
    pub counted: Counted,
    /// How many there are of it.
    pub n: u32,
    /// Minutes at the bench for all of them, setting up included; typical ones until the workshop's own are known.
    pub hands_min: f64,
    /// The same as the hand feels it: minutes of bending 20 AWG soft copper.
    pub effort_min: f64,
    /// What one takes off the spool at this step, mm, where it is cut off there.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub off_the_spool_mm: Option<f64>,
    /// What one that is scrapped here wastes off the spool, mm, where its wire is not cut off and booked before.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub wasted_mm: Option<f64>,
    /// What one weighs then, g: that much goes to scrap where it is scrapped.
    pub one_g: f64,
    /// Whether pieces can be scrapped at it: where each is counted, and at a check.
    pub scraps: bool,
    /// How clean that scrap is.
    pub scrap: Cleanliness,
    /// The piece at that moment.
    pub drawing: Drawing,
    /// The wire at the tool of the step, where a place on a jaw or a ruler is read at it.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub at_tool: Option<Drawing>,
}

impl Task {
    /// Whether it looks at every piece, so that some may be rejected though it is done once for all.
    #[must_use]
    pub fn rejects(&self) -> bool {
        self.step.operation == Operation::Check
    }

    /// What shares a tool set once: the operation, the tool and its place.
    #[must_use]
    pub fn setup(&self) -> String {
        let numbers = &self.step.numbers;
        let mm = |value: Option<f64>| value.map_or(String::new(), |mm| format!("{mm:.2}"));
        format!("{}|{}|{}", self.step.operation.word(), mm(numbers.tool_mm), mm(numbers.jaw_mm))
    }

    /// Minutes of hand work for one, as the route reckons them, tools left out.
    #[must_use]
    pub fn each_min(&self) -> f64 {
        (self.hands_min - self.step.takes.setting_up_min) / f64::from(self.n.max(1))
    }

    /// The same with the size of the wire, mm: what can be done to pieces of several batches in one pass.
    #[must_use]
    pub fn setup_with(&self, wire_mm: f64) -> String {
        format!("{wire_mm:.2}|{}", self.setup())
    }
}

impl Batch {
    /// What one of it is in the hand, by its own methods and changes. None of what cannot be made any more.
    #[must_use]
    pub fn in_hand(&self, workshop: &Workshop) -> Option<InHand> {
        let (piece, workshop) = self.as_made(workshop);
        piece.in_hand(&workshop)
    }

    /// Its piece with what is changed about its route, and the workshop with the methods it is made by.
    #[must_use]
    pub fn as_made(&self, workshop: &Workshop) -> (Piece, Workshop) {
        let as_begun = self.workshop.as_deref().unwrap_or(workshop);
        let workshop = Workshop {
            methods: self.methods.unwrap_or(workshop.methods),
            lots: workshop.lots.clone(),
            ..as_begun.clone()
        };
        let changes = if self.changes.is_empty() { self.piece.changes() } else { &self.changes };
        let mut piece = self.piece.clone().changed(changes.clone());
        if let Piece::Finding(request) = &mut piece {
            // Pliers that are gone since are no reason not to go on.
            request.plier = request.plier.take().filter(|name| workshop.plier(name).is_some());
        }
        (piece, workshop)
    }

    /// Its tasks in order, read off the route of its piece.
    ///
    /// ```
    /// use lorimant_core::bench::{Batch, Counted};
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::piece::Piece;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
    /// let tasks = Batch::of("clasps", hook, 12).tasks(&Workshop::default()).unwrap();
    /// // The wire is straightened once, on its spool; blanks are cut one by one.
    /// assert_eq!(tasks[0].counted, Counted::Once);
    /// assert!(tasks.iter().any(|task| task.counted == Counted::Piece && task.n == 12));
    /// ```
    ///
    /// # Errors
    /// The faults of the piece, or of what is changed about its route.
    pub fn tasks(&self, workshop: &Workshop) -> Result<Vec<Task>, Faults> {
        let (piece, workshop) = self.as_made(workshop);
        let workshop = &workshop;
        let finished = piece.finished(workshop)?;
        let (coils_n, off_mm) = (finished.coils_n, finished.blanks().length_mm);
        let (steps, drawings) = (finished.made.steps.clone(), finished.drawn().to_vec());
        let cut_at = steps.iter().position(|step| step.operation == Operation::Cut);
        let cuts_off = if coils_n > 0 { Operation::Wind } else { Operation::Cut };
        let cuts_off_at = steps.iter().position(|step| step.operation == cuts_off);
        let unit = workshop.habits.unit;
        let tasks = steps.into_iter().zip(drawings).enumerate().map(|(i, (step, drawing))| {
            let before_cut = cut_at.is_some_and(|cut| i < cut);
            let counted = counted_of(&step, coils_n > 0, before_cut);
            let n = match counted {
                Counted::Once => 1,
                Counted::Coil => coils_n,
                Counted::Placing => step.numbers.times_n.unwrap_or(1),
                Counted::Piece | Counted::Ring => self.pieces_n(),
            };
            let takes = &step.takes;
            let each_min = takes.each_min * f64::from(self.pieces_n());
            let (number, number_of) = reads(&step, unit);
            let one_mm = if counted == Counted::Coil { off_mm } else { step.workpiece.length_mm };
            let soldered = step.workpiece.joined == Some(ClosedBy::Soldered);
            Task {
                off_the_spool_mm: (step.operation == cuts_off).then_some(off_mm),
                wasted_mm: (cuts_off_at.is_some_and(|at| i <= at) && counted != Counted::Once)
                    .then_some(off_mm),
                scraps: counted != Counted::Once || step.operation == Operation::Check,
                one_g: piece.wire().mass_g(one_mm),
                scrap: if soldered { Cleanliness::Soldered } else { Cleanliness::Clean },
                number,
                number_of,
                counted,
                n,
                hands_min: takes.setting_up_min + each_min,
                effort_min: takes.effort * each_min,
                at_tool: at_tool(&step, piece.wire(), workshop),
                drawing,
                step,
            }
        });
        Ok(tasks.collect())
    }
}

/// What is counted at a step: coils until they are cut into rings, then rings; pieces of a finding once they are cut.
fn counted_of(step: &Step, coiled: bool, before_cut: bool) -> Counted {
    match step.operation {
        Operation::Anneal
        | Operation::Quench
        | Operation::Pickle
        | Operation::Tumble
        | Operation::Check
        | Operation::ShutBefore
        | Operation::OpenUp => Counted::Once,
        Operation::Link => Counted::Placing,
        Operation::Straighten if coiled => Counted::Once,
        Operation::Straighten | Operation::MakeFlush if before_cut => Counted::Once,
        Operation::Anchor
        | Operation::Wind
        | Operation::SlideOff
        | Operation::Spread
        | Operation::Saw
        | Operation::CutTwice
        | Operation::Shear
        | Operation::Snip => Counted::Coil,
        _ if coiled => Counted::Ring,
        _ => Counted::Piece,
    }
}

/// The number to read from a metre away, and what it is of.
fn reads(step: &Step, unit: LengthUnit) -> (String, String) {
    let Numbers { tool_mm, turns_n, turns_more_n, angle_to_deg, length_mm, left_mm, on_ruler_mm, .. } =
        step.numbers;
    let on = tool_mm.map_or(String::new(), |mm| text!("task-on", mm = caliper(mm, unit)));
    match step.operation {
        Operation::Cut | Operation::Trim => {
            let mm = on_ruler_mm.or(left_mm).or(length_mm);
            (mm.map_or(String::new(), |mm| on_ruler(mm, unit)), step.operation.shown().to_owned())
        }
        Operation::ShutBefore | Operation::OpenUp => {
            let n = step.numbers.times_n.unwrap_or(0);
            (text!("count-ring", n), step.operation.shown().to_owned())
        }
        Operation::Link => (String::new(), String::new()),
        Operation::Tumble => {
            (format!("{} h", shown(step.takes.unattended_min / 60.0, 1)), text!("task-in-tumbler").to_owned())
        }
        Operation::Pickle => (
            text!("task-min", unattended_min = fixed(step.takes.unattended_min, 0)),
            text!("task-in-pickle").to_owned(),
        ),
        Operation::Straighten => {
            let pulls =
                step.numbers.pulls_n.map(|n| (text!("count-pull", n), text!("task-through-jaws").to_owned()));
            pulls.unwrap_or_default()
        }
        Operation::Hammer | Operation::Flatten => {
            let thin = step.numbers.thickness_mm.map(|mm| (thickness(mm, unit), "thick".to_owned()));
            thin.unwrap_or_default()
        }
        _ => match (turns_n, angle_to_deg) {
            (Some(turns), _) => {
                let turns = turns + turns_more_n.unwrap_or(0.0);
                (turned(turns), on)
            }
            // Where the end is level with the tool, what is read is the tool's own size.
            (None, Some(_)) => {
                let tool = || tool_mm.map(|mm| (caliper(mm, unit), text!("task-across-tool").to_owned()));
                place_read(&step.numbers, unit).or_else(tool).unwrap_or_default()
            }
            (None, None) => (String::new(), on),
        },
    }
}

/// The place of a bend as a ruler shows it: on the jaw from its tip, else on the wire from the end in hand.
fn place_read(numbers: &Numbers, unit: LengthUnit) -> Option<(String, String)> {
    if let Some(jaw) = numbers.jaw_mm {
        return Some((on_ruler(jaw, unit), text!("task-from-tip-jaw").to_owned()));
    }
    let at = numbers.at_mm.filter(|at| *at >= LEVEL_MM)?;
    Some((on_ruler(at, unit), text!("task-from", shown = numbers.from?.shown())))
}
