//! The questions where makers differ about making, each school with its trade.

use serde::Serialize;

use super::school::{
    AnchorBy, CutWhen, FlatTo, Hardening, Joint, Marking, NeckWhen, Rounding, SawFrom, Straightening,
    WrapTail,
};

/// One answer to a question where makers differ.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct SchoolAnswer {
    /// The word it travels as.
    pub word: &'static str,
    /// The name a person reads.
    pub shown: &'static str,
    /// Its trade: what it gives and what it costs.
    pub trade: &'static str,
}

/// A question where makers differ, and their schools.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct SchoolQuestion {
    /// The field of the schools that it fills.
    pub field: &'static str,
    /// The question.
    pub question: &'static str,
    /// The answers.
    pub answers: Vec<SchoolAnswer>,
}

/// Every question where makers differ about making, with its schools and their trades.
///
/// ```
/// use lorimant_core::tool::questions::questions;
///
/// // Every answer says what it trades.
/// assert!(questions().iter().all(|one| one.answers.iter().all(|answer| !answer.trade.is_empty())));
/// ```
#[must_use]
pub fn questions() -> Vec<SchoolQuestion> {
    let answers = |all: &[(&'static str, &'static str, &'static str)]| {
        all.iter().map(|(word, shown, trade)| SchoolAnswer { word, shown, trade }).collect()
    };
    let of = |field, question, all: &[(&'static str, &'static str, &'static str)]| SchoolQuestion {
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
                    "Straighter, and stiffer by 0.02 of strain a pull: bends spring back more, and hold more.",
                ),
                (
                    Straightening::AfterCutting.word(),
                    Straightening::AfterCutting.shown(),
                    "As stiff as pulled on the spool; a short piece is hard to hold.",
                ),
            ],
        ),
        of(
            "flat_to",
            "Where does the flat of the cutter go?",
            &[
                (
                    FlatTo::Piece.word(),
                    FlatTo::Piece.shown(),
                    "No trim afterwards; the spool is flushed before each piece.",
                ),
                (
                    FlatTo::Spool.word(),
                    FlatTo::Spool.shown(),
                    "Safe to reach for the spool; each piece is trimmed once.",
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
                    "All blanks of a batch alike; a short one is hard to hold.",
                ),
                (
                    CutWhen::OnSpool.word(),
                    CutWhen::OnSpool.shown(),
                    "The spool is the handle: no blank is too short to roll, and none is cut that spoils.",
                ),
                (
                    CutWhen::Long.word(),
                    CutWhen::Long.shown(),
                    "Nothing comes out short; what is trimmed is scrap, and each pair is matched by eye.",
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
                    "The ruler is in hand already; nothing is laid out twice.",
                ),
            ],
        ),
        of(
            "wrap_tail",
            "What is held while wire is wrapped?",
            &[
                (
                    WrapTail::Held.word(),
                    WrapTail::Held.shown(),
                    "Sure in the fingers; a tail falls off each.",
                ),
                (
                    WrapTail::Gripped.word(),
                    WrapTail::Gripped.shown(),
                    "Nothing falls off; the last half turn marks easily.",
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
                    "Any rod; the tail slips if the grip does.",
                ),
                (AnchorBy::Hole.word(), AnchorBy::Hole.shown(), "Never slips; the rod must be drilled."),
                (AnchorBy::Slot.word(), AnchorBy::Slot.shown(), "Quick in and out; the rod must be slotted."),
                (
                    AnchorBy::Vise.word(),
                    AnchorBy::Vise.shown(),
                    "Firm for thick wire; the jaw marks the tail.",
                ),
            ],
        ),
        of(
            "saw_from",
            "Where is a coil sawn from?",
            &[
                (SawFrom::Pin.word(), SawFrom::Pin.shown(), "Any bore; the coil must not be squeezed."),
                (
                    SawFrom::Inside.word(),
                    SawFrom::Inside.shown(),
                    "The frame stands still; the bore must let the blade move.",
                ),
                (
                    SawFrom::Dowel.word(),
                    SawFrom::Dowel.shown(),
                    "Nothing rattles; the dowel is used up, and its rings are less alike.",
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
                    "Each kerf guides the blade into the next ring; faces lean a little.",
                ),
            ],
        ),
        of(
            "spread",
            "Is a coil spread before it is snipped?",
            &[
                ("false", "as it comes", "Nothing more to do; the blade pinches its way in."),
                (
                    "true",
                    "spread with a key first",
                    "The blade gets in cleanly; each ring is to be pressed flat again.",
                ),
            ],
        ),
        of(
            "joint",
            "How is the joint of a ring left?",
            &[
                (Joint::Open.word(), Joint::Open.shown(), "No torch; it opens where its metal gives."),
                (
                    Joint::Fuse.word(),
                    Joint::Fuse.shown(),
                    "Holds some four times as much; soft afterwards, and only metals that can.",
                ),
                (
                    Joint::Solder.word(),
                    Joint::Solder.shown(),
                    "Holds some four times as much; soft afterwards, its scrap is kept apart.",
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
                    "Only where it bears; by hand, piece by piece.",
                ),
                (
                    Hardening::Tumble.word(),
                    Hardening::Tumble.shown(),
                    "All over and shiny, two hours alone; loud.",
                ),
                (Hardening::None.word(), Hardening::None.shown(), "As forming left it."),
            ],
        ),
        of(
            "rounding",
            "How are tips rounded?",
            &[
                (Rounding::File.word(), Rounding::File.shown(), "Takes 0.15 thicknesses off; any tip."),
                (
                    Rounding::CupBurr.word(),
                    Rounding::CupBurr.shown(),
                    "Quick and even; a burr for each gauge.",
                ),
                (
                    Rounding::Barrel.word(),
                    Rounding::Barrel.shown(),
                    "Takes nothing off; two hours in the barrel, a softer edge.",
                ),
            ],
        ),
        of(
            "hammer_first",
            "What comes first, rounding the tips or hammering?",
            &[
                ("false", "tips first", "The tip is easy to hold; a blow near it can raise a new edge."),
                (
                    "true",
                    "hammering first",
                    "The file takes off what the blows raised; a hard tip files slowly.",
                ),
            ],
        ),
        of(
            "neck",
            "What comes first, the loop or the neck below it?",
            &[
                (NeckWhen::Usual.word(), NeckWhen::Usual.shown(), "The order its page has."),
                (
                    NeckWhen::First.word(),
                    NeckWhen::First.shown(),
                    "Its start is measured off; the loop closes on it.",
                ),
                (
                    NeckWhen::After.word(),
                    NeckWhen::After.shown(),
                    "The loop is rolled to the wire's end, then set back by eye until it is centred.",
                ),
            ],
        ),
        of(
            "shut_as_built",
            "When are the rings shut that go into a chain shut?",
            &[
                ("false", "all beforehand", "One hand movement at a time; the shut ones lie ready."),
                (
                    "true",
                    "while it is built",
                    "Nothing to count out; the pliers are put down less, the eye changes more.",
                ),
            ],
        ),
    ]
}
