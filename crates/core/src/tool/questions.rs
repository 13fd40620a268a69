//! The questions where makers differ about making, each method with its trade.

use serde::Serialize;

use super::method::{
    AnchorBy, CutWhen, FlatTo, Hardening, Joint, Marking, NeckWhen, Rounding, SawFrom, Straightening,
    WrapTail,
};

/// One answer to a question where makers differ.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct MethodAnswer {
    /// The word it travels as.
    pub word: &'static str,
    /// The name a person reads.
    pub shown: &'static str,
    /// Its trade: what it gives and what it costs.
    pub trade: &'static str,
}

/// A question where makers differ, and their methods.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct MethodQuestion {
    /// The field of the methods that it fills.
    pub field: &'static str,
    /// The question.
    pub question: &'static str,
    /// The answers.
    pub answers: Vec<MethodAnswer>,
}

/// Every question where makers differ about making, with its methods and their trades.
///
/// ```
/// use lorimant_core::tool::questions::questions;
///
/// // Every answer says what it trades.
/// assert!(questions().iter().all(|one| one.answers.iter().all(|answer| !answer.trade.is_empty())));
/// ```
#[must_use]
pub fn questions() -> Vec<MethodQuestion> {
    let answers = |all: &[(&'static str, &'static str, &'static str)]| {
        all.iter().map(|(word, shown, trade)| MethodAnswer { word, shown, trade }).collect()
    };
    let of = |field, question, all: &[(&'static str, &'static str, &'static str)]| MethodQuestion {
        field,
        question,
        answers: answers(all),
    };
    vec![
        of(
            "straightening",
            "How is wire for findings straightened?",
            &[
                (
                    Straightening::Fingers.word(),
                    Straightening::Fingers.shown(),
                    "It stays as soft as it was sold.",
                ),
                (
                    Straightening::Pulls.word(),
                    Straightening::Pulls.shown(),
                    "Straighter and a little harder with each pull: bends spring back more and hold more.",
                ),
                (
                    Straightening::AfterCutting.word(),
                    Straightening::AfterCutting.shown(),
                    "As hard as pulled on the spool. A short piece is hard to hold.",
                ),
            ],
        ),
        of(
            "flat_to",
            "Which way does the flat side of the cutter face?",
            &[
                (
                    FlatTo::Piece.word(),
                    FlatTo::Piece.shown(),
                    "No trimming afterwards. The spool is flushed before each piece.",
                ),
                (
                    FlatTo::Spool.word(),
                    FlatTo::Spool.shown(),
                    "Good for the spool. Each piece is trimmed once.",
                ),
            ],
        ),
        of(
            "cut",
            "When is a finding cut off the spool?",
            &[
                (
                    CutWhen::First.word(),
                    CutWhen::First.shown(),
                    "All blanks of a batch are equal. Short ones are hard to hold.",
                ),
                (
                    CutWhen::OnSpool.word(),
                    CutWhen::OnSpool.shown(),
                    "The spool is the handle: no blank is too short to roll, and a mistake wastes less wire.",
                ),
                (
                    CutWhen::Long.word(),
                    CutWhen::Long.shown(),
                    "Nothing comes out short. The trimmings are scrap, and each pair is matched by eye.",
                ),
            ],
        ),
        of(
            "marking",
            "When are blanks marked for their bends?",
            &[
                (
                    Marking::ByItself.word(),
                    Marking::ByItself.shown(),
                    "All lie side by side: one ruler, even marks.",
                ),
                (
                    Marking::WithCut.word(),
                    Marking::WithCut.shown(),
                    "The ruler is already in your hand. Nothing is measured twice.",
                ),
            ],
        ),
        of(
            "wrap_tail",
            "How is the end held while wire is wrapped?",
            &[
                (WrapTail::Held.word(), WrapTail::Held.shown(), "A firm grip. Each piece loses a tail."),
                (
                    WrapTail::Gripped.word(),
                    WrapTail::Gripped.shown(),
                    "Nothing is lost. The last half turn marks easily.",
                ),
            ],
        ),
        of(
            "anchor",
            "What holds the tail of a coil wound by hand?",
            &[
                (
                    AnchorBy::Thumb.word(),
                    AnchorBy::Thumb.shown(),
                    "Works on any rod. The tail slips if your grip does.",
                ),
                (AnchorBy::Hole.word(), AnchorBy::Hole.shown(), "Never slips. The rod needs a hole."),
                (AnchorBy::Slot.word(), AnchorBy::Slot.shown(), "Quick in and out. The rod needs a slot."),
                (
                    AnchorBy::Vise.word(),
                    AnchorBy::Vise.shown(),
                    "Firm for thick wire. The jaw marks the tail.",
                ),
            ],
        ),
        of(
            "saw_from",
            "Where is a coil sawn from?",
            &[
                (SawFrom::Pin.word(), SawFrom::Pin.shown(), "Any bore. Don't squeeze the coil."),
                (
                    SawFrom::Inside.word(),
                    SawFrom::Inside.shown(),
                    "The frame stands still. The bore must be wide enough for the blade.",
                ),
                (
                    SawFrom::Dowel.word(),
                    SawFrom::Dowel.shown(),
                    "Nothing rattles. The dowel is used up, and its rings are less alike.",
                ),
            ],
        ),
        of(
            "slanted",
            "Is a coil sawn straight or at a slant?",
            &[
                ("false", "straight along", "Faces square to the wire."),
                (
                    "true",
                    "at a slight slant",
                    "Each cut guides the blade into the next ring. The faces lean a little.",
                ),
            ],
        ),
        of(
            "spread",
            "Is a coil spread before it is snipped?",
            &[
                ("false", "as wound", "Nothing more to do. The blades squeeze their way in."),
                (
                    "true",
                    "spread with a key first",
                    "The cutter gets in cleanly. Each ring must be pressed flat again.",
                ),
            ],
        ),
        of(
            "joint",
            "How is the joint of a ring finished?",
            &[
                (Joint::Open.word(), Joint::Open.shown(), "No torch. It opens where the metal gives."),
                (
                    Joint::Fuse.word(),
                    Joint::Fuse.shown(),
                    "Holds about four times as much. Soft afterwards, and only some metals can.",
                ),
                (
                    Joint::Solder.word(),
                    Joint::Solder.shown(),
                    "Holds about four times as much. Soft afterwards, and its scrap is kept apart.",
                ),
            ],
        ),
        of(
            "hardening",
            "How is a finished piece hardened?",
            &[
                (
                    Hardening::Mallet.word(),
                    Hardening::Mallet.shown(),
                    "Only where it carries load. By hand, piece by piece.",
                ),
                (
                    Hardening::Tumble.word(),
                    Hardening::Tumble.shown(),
                    "All over and shiny. Two hours unattended, and loud.",
                ),
                (Hardening::None.word(), Hardening::None.shown(), "As formed."),
            ],
        ),
        of(
            "rounding",
            "How are tips rounded?",
            &[
                (Rounding::File.word(), Rounding::File.shown(), "Takes off 0.15 of the thickness. Any tip."),
                (
                    Rounding::CupBurr.word(),
                    Rounding::CupBurr.shown(),
                    "Quick and even. Needs a burr for each gauge.",
                ),
                (
                    Rounding::Barrel.word(),
                    Rounding::Barrel.shown(),
                    "Takes nothing off. Two hours in the tumbler, a softer edge.",
                ),
            ],
        ),
        of(
            "hammer_first",
            "What comes first, rounding the tips or hammering?",
            &[
                ("false", "tips first", "The tip is easy to hold. A blow near it can raise a new edge."),
                (
                    "true",
                    "hammering first",
                    "The file takes off what the blows raised. A hard tip files slowly.",
                ),
            ],
        ),
        of(
            "neck",
            "What comes first, the loop or the neck below it?",
            &[
                (NeckWhen::Usual.word(), NeckWhen::Usual.shown(), "In the finding's usual order."),
                (
                    NeckWhen::First.word(),
                    NeckWhen::First.shown(),
                    "Its start is measured. The loop closes on it.",
                ),
                (
                    NeckWhen::After.word(),
                    NeckWhen::After.shown(),
                    "The loop is rolled at the end of the wire, then bent back by eye until it is centred.",
                ),
            ],
        ),
        of(
            "shut_as_built",
            "When are the pre-closed rings of a chain closed?",
            &[
                ("false", "all before", "One movement at a time. The closed ones lie ready."),
                ("true", "along the way", "Nothing to count out. You change pliers less and look more."),
            ],
        ),
    ]
}
