//! Doing the operations of a route, one after the other.

use serde::Serialize;

use super::operation::Operation;
use super::operations::Anneal;
use super::takes::{Lost, Takes, WireLost};
use super::workpiece::Workpiece;
use crate::fault::{Fault, Faults};
use crate::figure::Level;
use crate::tool::gear::Gear;
use crate::tool::method::AnchorBy;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::bending::Bending;
use crate::wire::strength::{self, strain_level};
use crate::words::length::LengthUnit;
use crate::words::{capital, words};
use lorimant_text::{fixed, text};

words! {
    /// Where a place on the wire is measured from.
    pub enum From ("from") {
        /// The near end: the left one of the strip.
        NearEnd = "near-end";
        /// The far end: the right one of the strip.
        FarEnd = "far-end";
        /// The fold of doubled wire.
        Fold = "fold";
        /// The end where the fold was parted.
        Parted = "parted-end";
        /// The spool.
        Spool = "spool";
    }
}

words! {
    /// Which way a bend turns, seen with the end in hand and the wire running away from the maker.
    pub enum Turn ("turn") {
        /// To the left.
        Left = "left";
        /// To the right.
        Right = "right";
    }
}

/// The numbers of an operation, enough to do it by: only those that apply. Lengths in mm of straight wire.
#[derive(Debug, Clone, PartialEq, Default, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Numbers {
    /// The end in hand, which places are measured from.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub from: Option<From>,
    /// Where it starts, from that end, on the flush blank with its tails; of a fold, its middle.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub at_mm: Option<f64>,
    /// How much wire it takes up, is cut, or is taken off.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub length_mm: Option<f64>,
    /// Name of the tool.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub tool: Option<String>,
    /// Diameter the wire is bent on; of a taper, where the winding starts.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub tool_mm: Option<f64>,
    /// Diameter of the workshop's own tool, where it is not just that.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub own_mm: Option<f64>,
    /// Of a taper: diameter where the winding ends.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub tool_to_mm: Option<f64>,
    /// Of an oval rod: its short way across.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub tool_short_mm: Option<f64>,
    /// Where on a tapered jaw that diameter is, from its tip.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub jaw_mm: Option<f64>,
    /// How much 1 mm of slip along the jaw changes the inside.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub slip_mm: Option<f64>,
    /// Turns to wind, lay or wrap; those to do, not those that are left.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub turns_n: Option<f64>,
    /// Turns wound on besides, which a later operation lifts.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub turns_more_n: Option<f64>,
    /// Turns left after letting go.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub turns_left_n: Option<f64>,
    /// Angle to bend to, on the tool.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub angle_to_deg: Option<f64>,
    /// Angle left after letting go.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub angle_left_deg: Option<f64>,
    /// Which way it turns, where it turns in the plane of the piece.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub turn: Option<Turn>,
    /// Where it turns out of that plane: how far its plane is rolled about the wire, from left (0) towards the maker's
    /// eye (90), degrees.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub plane_deg: Option<f64>,
    /// How far a turn climbs along its axis on the way, all in all; negative to the other side.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub rise_mm: Option<f64>,
    /// How far a flat spiral widens with each turn, at the wire's middle.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub pitch_mm: Option<f64>,
    /// Inside that is left.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub inside_mm: Option<f64>,
    /// What is set off on the maker's ruler, where that is longer than is needed.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub on_ruler_mm: Option<f64>,
    /// What should be left of a stretch that is trimmed, or measured off a piece whose end is formed already.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub left_mm: Option<f64>,
    /// Thickness it is hammered to.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub thickness_mm: Option<f64>,
    /// Diameter of the ball.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub ball_mm: Option<f64>,
    /// What holds the tail of a coil; a vise where the rod is turned by one or by a chuck.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub held_by: Option<AnchorBy>,
    /// Pulls through the jaws, each 0.02 of strain.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub pulls_n: Option<u32>,
    /// Width of the saw's cut.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub kerf_mm: Option<f64>,
    /// How many are done alike.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub times_n: Option<u32>,
    /// Whether it is done to both wires of a folded pair, each from its own end.
    #[serde(skip_serializing_if = "std::ops::Not::not")]
    pub doubled: bool,
    /// Share of the stretch the metal had left here that it uses; over 0.6 watch, over 1 it is expected to crack.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub strain_used: Option<f64>,
}

/// A mark on a blank.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Marked {
    /// Whether it is measured from the right end.
    pub far: bool,
    /// How far from it, mm.
    pub mm: f64,
    /// Whether it is the middle of a fold, not the start of a bend.
    pub middle: bool,
}

/// What an operation did.
#[derive(Debug, Clone, PartialEq, Default)]
pub struct Done {
    /// What to, in a word or two.
    pub what: String,
    /// Its numbers.
    pub numbers: Numbers,
    /// The instruction, in whole sentences.
    pub text: String,
    /// Hints beside it.
    pub hints: Vec<String>,
    /// What is wrong with the fit, where the workshop owns no tool that fits.
    pub misfit: Option<String>,
    /// What can hurt.
    pub caution: Option<&'static str>,
    /// What it takes, but for the wire.
    pub takes: Takes,
    /// Wire it takes off, mm.
    pub lost: Vec<(Lost, f64)>,
    /// Segments of a finding that have their shape afterwards.
    pub segments: Vec<usize>,
    /// What is marked on the wire.
    pub marks: Vec<Marked>,
}

/// What an operation is done with.
#[derive(Debug, Clone, Copy)]
pub struct Bench<'a> {
    /// The wire as it was sold.
    pub wire: &'a Wire,
    /// The workshop's tools and habits.
    pub workshop: &'a Workshop,
    /// The plier asked for, by its name.
    pub plier: Option<&'a str>,
    /// How many are made.
    pub pieces_n: u32,
    /// Whether they come off coils, so that what is done to a coil is done to many at once.
    pub coiled: bool,
}

impl Bench<'_> {
    /// The unit read first.
    #[must_use]
    pub fn unit(&self) -> LengthUnit {
        self.workshop.habits.unit
    }

    /// Minutes that a coil takes, as minutes of one piece.
    #[must_use]
    pub fn shared(&self, minutes: f64) -> f64 {
        if self.coiled { minutes / f64::from(self.pieces_n.max(1)) } else { minutes }
    }

    /// Share of what the metal has left that a further strain uses, where so much is spent.
    #[must_use]
    pub fn share(&self, spent: f64, further: f64) -> f64 {
        further / strength::strain_left_after(self.wire.metal, spent)
    }

    /// Effort of bending where so much strain is spent, as a multiple of 20 AWG soft copper.
    #[must_use]
    pub fn effort(&self, spent: f64) -> f64 {
        let flow = Bending::after(self.wire, spent).flow;
        let as_sold = Bending::after(self.wire, self.wire.temper.strain()).flow;
        strength::hand_effort(self.wire) * flow.flow_stress(0.0) / as_sold.flow_stress(0.0)
    }
}

/// One operation, on a workpiece.
pub trait Perform {
    /// Which it is.
    fn operation(&self) -> Operation;

    /// Does it.
    ///
    /// # Errors
    /// Why it cannot be done to the piece as it is, in a sentence.
    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String>;

    /// The end whose tail it takes off: whether it is the far one; none where it takes none.
    fn takes_tail(&self) -> Option<bool> {
        None
    }
}

/// One operation as it was done: what to do, with this piece's numbers, and the workpiece afterwards.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Step {
    /// Its place in the order, from 1.
    pub step_n: usize,
    /// What is done.
    pub operation: Operation,
    /// The same, as forms have called it.
    pub kind: Operation,
    /// What to, in a word or two.
    pub what: String,
    /// Both in two or three words: `roll loop`.
    pub named: String,
    /// Segments of a finding that get their shape, by their place along the wire.
    pub segments: Vec<usize>,
    /// What is marked on the wire.
    #[serde(skip)]
    pub marks: Vec<Marked>,
    /// Its numbers.
    #[serde(flatten)]
    pub numbers: Numbers,
    /// The instruction.
    pub text: String,
    /// A hint beside it.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub hint: Option<String>,
    /// Whether the workshop owns no tool that fits, or it does not get in; the hint says why.
    pub misfit: bool,
    /// What is wrong with the fit.
    #[serde(skip)]
    pub unfit: Option<String>,
    /// What can hurt here.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub caution: Option<&'static str>,
    /// How much of what its metal bears the wire has spent by then, in a sentence; nothing where none is spent.
    #[serde(skip_serializing_if = "String::is_empty")]
    pub strain_text: String,
    /// How much attention its bending asks for, by what it takes of the strain that was left.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub strain_level: Option<Level>,
    /// What it takes.
    pub takes: Takes,
    /// The workpiece afterwards.
    pub workpiece: Workpiece,
}

/// A route that was run.
#[derive(Debug, Clone, PartialEq)]
pub struct Made {
    /// Every operation in order.
    pub steps: Vec<Step>,
}

impl Made {
    /// The workpiece at the end; as it was where nothing was done.
    #[must_use]
    pub fn finished(&self) -> Option<&Workpiece> {
        self.steps.last().map(|step| &step.workpiece)
    }

    /// Wire lost on the way, mm.
    #[must_use]
    pub fn lost_mm(&self) -> f64 {
        self.steps.iter().map(|step| step.takes.lost_mm()).sum()
    }

    /// Minutes at the bench for so many, and minutes that pass without the maker.
    #[must_use]
    pub fn minutes(&self, pieces_n: u32) -> (f64, f64) {
        let each = |step: &Step| step.takes.setting_up_min + f64::from(pieces_n) * step.takes.each_min;
        let hands = self.steps.iter().map(each).sum();
        (hands, self.steps.iter().map(|step| step.takes.unattended_min).sum())
    }
}

/// Does every operation in turn.
///
/// # Errors
/// The first that cannot be done: a fault at its place in the route, with the reason.
pub fn run(route: &[Box<dyn Perform + '_>], piece: Workpiece, bench: &Bench) -> Result<Made, Faults> {
    let mut piece = piece;
    let mut steps = Vec::with_capacity(route.len());
    for (i, does) in route.iter().enumerate() {
        let operation = does.operation();
        let cool = waits_to_cool(&mut piece, operation, bench);
        let done = cool.and_then(|()| does.perform(&mut piece, bench)).map_err(|why| {
            let message = text!("run-step", i = i + 1, operation, why);
            Fault::new(format!("route.{i}"), message)
        })?;
        let mut hints = done.hints;
        hints.extend(done.misfit.clone());
        hints.extend(done.numbers.strain_used.and_then(|share| cracks(share, bench)));
        let lacking = lacks(operation, &done.numbers, &bench.workshop.gear).map(str::to_owned);
        hints.extend(lacking.clone());
        let most = bench.wire.metal.figures().fracture_strain;
        for stretch in &mut piece.stretches {
            stretch.spent_share = stretch.outer_strain / most;
        }
        let strain_level = done.numbers.strain_used.and_then(strain_level);
        let mut takes = done.takes;
        takes.wire = done
            .lost
            .into_iter()
            .filter(|(_, mm)| *mm > 0.0)
            .map(|(kind, mm)| WireLost { kind, mm, g: bench.wire.mass_g(mm) })
            .collect();
        steps.push(Step {
            step_n: i + 1,
            operation,
            kind: operation,
            named: named(operation, &done.what),
            what: done.what,
            segments: done.segments,
            marks: done.marks,
            numbers: done.numbers,
            text: done.text,
            hint: (!hints.is_empty()).then(|| hints.join(" ")),
            misfit: done.misfit.is_some() || lacking.is_some(),
            unfit: done.misfit.or(lacking),
            caution: done.caution,
            strain_text: spent(&piece),
            strain_level,
            takes,
            workpiece: piece.clone(),
        });
    }
    Ok(Made { steps })
}

/// What comes out of the flame is cooled before anything else is done to it: what is brittle while hot must be, of other
/// metals a maker waits.
fn waits_to_cool(piece: &mut Workpiece, operation: Operation, bench: &Bench) -> Result<(), String> {
    if !piece.hot || matches!(operation, Operation::Quench | Operation::Pickle) {
        return Ok(());
    }
    if bench.wire.metal.figures().hot_short {
        let metal = bench.wire.metal;
        return Err(text!("run-brittle-while-hot-cool-first", metal, operation = operation.shown()));
    }
    piece.hot = false;
    Ok(())
}

/// What is done to what; not twice where its name says both.
fn named(operation: Operation, what: &str) -> String {
    let does = operation.shown();
    if what.starts_with(does) { what.to_owned() } else { format!("{does} {what}") }
}

/// What is struck with that the workshop does not list.
fn lacks(operation: Operation, numbers: &Numbers, gear: &Gear) -> Option<&'static str> {
    let steel = match operation {
        Operation::Flatten | Operation::Texture => true,
        Operation::Hammer => numbers.thickness_mm.is_some(),
        Operation::True => false,
        _ => return None,
    };
    match (steel, gear.hammer_and_block, gear.mallet) {
        (true, false, _) => Some(text!("run-no-hammer-steel-block-listed")),
        (false, _, false) => Some(text!("run-no-mallet-listed-under-tools")),
        _ => None,
    }
}

/// How much of what its metal bears a workpiece has spent.
fn spent(piece: &Workpiece) -> String {
    let shares = || piece.stretches.iter().map(|stretch| stretch.spent_share);
    let (least, most) = (shares().fold(f64::INFINITY, f64::min), shares().fold(0.0, f64::max));
    let percent = |share: f64| format!("{:.0} %", share * 100.0);
    match (percent(least), percent(most)) {
        (_, most) if most == "0 %" => String::new(),
        (least, most) if least == most => text!("run-used-so-far-what-metal", most),
        (least, most) => text!("run-used-so-far-what-metal-can", least, most),
    }
}

/// What is said where an operation spends much of what the metal has left.
fn cracks(share: f64, bench: &Bench) -> Option<String> {
    let (metal, gear) = (capital(bench.wire.metal.shown()), &bench.workshop.gear);
    let wire = || Anneal::advice(bench.wire, gear);
    strain_level(share).map(|level| match level {
        Level::Stop => text!("run-will-probably-crack-here-estimate", metal, wire = wire()),
        _ => text!("run-watch-for-cracks-this-uses", share = fixed(share * 100.0, 0), wire = wire()),
    })
}
