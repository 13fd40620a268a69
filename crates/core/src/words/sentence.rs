//! The sentence: a plan stated in words that are its inputs.
//!
//! Each kind of piece writes its own; [`crate::ask`] reads them all. What one writes the other understands.

use serde::{Deserialize, Serialize};

/// One phrase of a sentence: an input to change, or the words between.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Phrase {
    /// The text as written.
    pub text: String,
    /// Which input it is, by its word; none for the words between.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub slot: Option<&'static str>,
    /// The field of the request it writes to, which its faults name.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub field: Option<String>,
}

/// A change to one word.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub enum Change {
    /// What was typed in its place.
    Typed(String),
    /// So many steps up or down: 0.1 mm or 1/64 in for a size, the next gauge for a wire that is one, one for a
    /// count, the next word of a list.
    Nudge(i32),
    /// Its dimension pulled on the drawing by so many mm, from where it stands.
    Pulled(f64),
}

/// One choice for a word, and what it would change.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Choice<R> {
    /// The word as the sentence would have it.
    pub label: String,
    /// What would then come of it, or why it cannot be.
    pub effect: String,
    /// Whether it is what stands there now.
    pub chosen: bool,
    /// Whether it can be made.
    pub possible: bool,
    /// What it is about, where choices of several kinds stand together.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub group: Option<String>,
    /// The step of the route that it is about, from 1.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub step_n: Option<usize>,
    /// What to press to take it back, where it is chosen and can be: an answer to a question only gives way to another.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub take_back: Option<String>,
    /// Whether the program advises it.
    #[serde(skip_serializing_if = "std::ops::Not::not")]
    pub advised: bool,
    /// The whole request with this choice made.
    pub request: R,
}

impl<R> Choice<R> {
    /// A choice for a word.
    pub(crate) fn of(label: String, effect: String, chosen: bool, possible: bool, request: R) -> Self {
        let (group, step_n, take_back, advised) = (None, None, None, false);
        Self { label, effect, chosen, possible, group, step_n, take_back, advised, request }
    }
}

/// The item so many steps on in a list, no further than its ends.
pub(crate) fn next<T: Clone + PartialEq>(all: &[T], here: T, steps: i32) -> T {
    let last = all.len().saturating_sub(1);
    let at = all.iter().position(|item| *item == here).unwrap_or(0);
    let moved = at.saturating_add_signed(steps as isize).min(last);
    all.get(moved).cloned().unwrap_or(here)
}

/// The sentence as plain text.
pub fn text(phrases: &[Phrase]) -> String {
    phrases.iter().map(|phrase| phrase.text.as_str()).collect()
}
