//! The questions where makers differ about making, each method with its trade.

use serde::Serialize;

use super::method::{
    AnchorBy, CutWhen, FlatTo, Hardening, Joint, Marking, NeckWhen, Rounding, SawFrom, Straightening,
    WrapTail,
};
use lorimant_text::text;

/// One answer to a question where makers differ.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct MethodAnswer {
    /// The word it travels as.
    pub word: &'static str,
    /// The name a person reads.
    pub label: &'static str,
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
        all.iter().map(|(word, label, trade)| MethodAnswer { word, label, trade }).collect()
    };
    let of = |field, question, all: &[(&'static str, &'static str, &'static str)]| MethodQuestion {
        field,
        question,
        answers: answers(all),
    };
    vec![
        of(
            "straightening",
            text!("questions-how-wire-for-findings-straightened"),
            &[
                (
                    Straightening::Fingers.word(),
                    Straightening::Fingers.shown(),
                    text!("questions-stays-as-soft-as-was"),
                ),
                (
                    Straightening::Pulls.word(),
                    Straightening::Pulls.shown(),
                    text!("questions-straighter-little-harder-with-each"),
                ),
                (
                    Straightening::AfterCutting.word(),
                    Straightening::AfterCutting.shown(),
                    text!("questions-as-hard-as-pulled-on"),
                ),
            ],
        ),
        of(
            "flat_to",
            text!("questions-which-way-does-flat-side"),
            &[
                (
                    FlatTo::Piece.word(),
                    FlatTo::Piece.shown(),
                    text!("questions-no-trimming-afterwards-spool-flushed"),
                ),
                (FlatTo::Spool.word(), FlatTo::Spool.shown(), text!("questions-good-for-spool-each-piece")),
            ],
        ),
        of(
            "cut",
            text!("questions-when-finding-cut-off-spool"),
            &[
                (
                    CutWhen::First.word(),
                    CutWhen::First.shown(),
                    text!("questions-all-blanks-batch-equal-short"),
                ),
                (
                    CutWhen::OnSpool.word(),
                    CutWhen::OnSpool.shown(),
                    text!("questions-spool-handle-no-blank-too"),
                ),
                (
                    CutWhen::Long.word(),
                    CutWhen::Long.shown(),
                    text!("questions-nothing-comes-out-short-trimmings"),
                ),
            ],
        ),
        of(
            "marking",
            text!("questions-when-blanks-marked-for-their"),
            &[
                (
                    Marking::ByItself.word(),
                    Marking::ByItself.shown(),
                    text!("questions-all-lie-side-by-side"),
                ),
                (
                    Marking::WithCut.word(),
                    Marking::WithCut.shown(),
                    text!("questions-ruler-already-in-your-hand"),
                ),
            ],
        ),
        of(
            "wrap_tail",
            text!("questions-how-end-held-while-wire"),
            &[
                (
                    WrapTail::Held.word(),
                    WrapTail::Held.shown(),
                    text!("questions-firm-grip-each-piece-loses"),
                ),
                (
                    WrapTail::Gripped.word(),
                    WrapTail::Gripped.shown(),
                    text!("questions-nothing-lost-last-half-turn"),
                ),
            ],
        ),
        of(
            "anchor",
            text!("questions-what-holds-tail-coil-wound"),
            &[
                (AnchorBy::Thumb.word(), AnchorBy::Thumb.shown(), text!("questions-works-on-any-rod-tail")),
                (
                    AnchorBy::Hole.word(),
                    AnchorBy::Hole.shown(),
                    text!("questions-never-slips-rod-needs-hole"),
                ),
                (AnchorBy::Slot.word(), AnchorBy::Slot.shown(), text!("questions-quick-in-out-rod-needs")),
                (AnchorBy::Vise.word(), AnchorBy::Vise.shown(), text!("questions-firm-for-thick-wire-jaw")),
            ],
        ),
        of(
            "saw_from",
            text!("questions-where-coil-sawn-from"),
            &[
                (SawFrom::Pin.word(), SawFrom::Pin.shown(), text!("questions-any-bore-dont-squeeze-coil")),
                (
                    SawFrom::Inside.word(),
                    SawFrom::Inside.shown(),
                    text!("questions-frame-stands-still-bore-must"),
                ),
                (
                    SawFrom::Dowel.word(),
                    SawFrom::Dowel.shown(),
                    text!("questions-nothing-rattles-dowel-used-up"),
                ),
            ],
        ),
        of(
            "slanted",
            text!("questions-coil-sawn-straight-or-at"),
            &[
                ("false", text!("questions-straight-along"), text!("questions-faces-square-wire")),
                ("true", text!("questions-at-slight-slant"), text!("questions-each-cut-guides-blade-into")),
            ],
        ),
        of(
            "spread",
            text!("questions-coil-spread-before-snipped"),
            &[
                ("false", text!("questions-as-wound"), text!("questions-nothing-more-do-blades-squeeze")),
                (
                    "true",
                    text!("questions-spread-with-key-first"),
                    text!("questions-cutter-gets-in-cleanly-each"),
                ),
            ],
        ),
        of(
            "joint",
            text!("questions-how-joint-ring-finished"),
            &[
                (Joint::Open.word(), Joint::Open.shown(), text!("questions-no-torch-opens-where-metal")),
                (Joint::Fuse.word(), Joint::Fuse.shown(), text!("questions-holds-about-four-times-as")),
                (
                    Joint::Solder.word(),
                    Joint::Solder.shown(),
                    text!("questions-holds-about-four-times-as-much"),
                ),
            ],
        ),
        of(
            "hardening",
            text!("questions-how-finished-piece-hardened"),
            &[
                (
                    Hardening::Mallet.word(),
                    Hardening::Mallet.shown(),
                    text!("questions-only-where-carries-load-by"),
                ),
                (
                    Hardening::Tumble.word(),
                    Hardening::Tumble.shown(),
                    text!("questions-all-over-shiny-two-hours"),
                ),
                (Hardening::None.word(), Hardening::None.shown(), text!("questions-as-formed")),
            ],
        ),
        of(
            "rounding",
            text!("questions-how-tips-rounded"),
            &[
                (Rounding::File.word(), Rounding::File.shown(), text!("questions-takes-off-0-15-thickness")),
                (
                    Rounding::CupBurr.word(),
                    Rounding::CupBurr.shown(),
                    text!("questions-quick-even-needs-burr-for"),
                ),
                (
                    Rounding::Barrel.word(),
                    Rounding::Barrel.shown(),
                    text!("questions-takes-nothing-off-two-hours"),
                ),
            ],
        ),
        of(
            "hammer_first",
            text!("questions-what-comes-first-rounding-tips"),
            &[
                ("false", text!("questions-tips-first"), text!("questions-tip-easy-hold-blow-near")),
                ("true", text!("questions-hammering-first"), text!("questions-file-takes-off-what-blows")),
            ],
        ),
        of(
            "neck",
            text!("questions-what-comes-first-loop-or"),
            &[
                (NeckWhen::Usual.word(), NeckWhen::Usual.shown(), text!("questions-in-findings-usual-order")),
                (
                    NeckWhen::First.word(),
                    NeckWhen::First.shown(),
                    text!("questions-its-start-measured-loop-closes"),
                ),
                (NeckWhen::After.word(), NeckWhen::After.shown(), text!("questions-loop-rolled-at-end-wire")),
            ],
        ),
        of(
            "close_while_building",
            text!("questions-when-pre-closed-rings-chain"),
            &[
                ("false", text!("questions-all-before"), text!("questions-one-movement-at-time-closed")),
                ("true", text!("questions-along-way"), text!("questions-nothing-count-out-you-change")),
            ],
        ),
    ]
}
