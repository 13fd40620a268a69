//! What happens at the bench, one thing after another.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};

use crate::words::words;

words! {
    /// What happened to pieces of a batch.
    pub enum EventKind ("event-kind") {
        /// So many more are done.
        Done = "done";
        /// So many were counted that are not done.
        TakenBack = "taken-back";
        /// So many were scrapped; files have always called it so.
        Scrapped = "spoiled";
        /// So many were taken for scrap that are not: they go on.
        Rescued = "rescued";
        /// What runs by itself was started.
        Started = "started";
        /// Of the coil in hand so many turns lie: what a counter shows, or what was counted by hand.
        Turned = "turned";
    }
}

/// Something that happened at one step. Whoever tells it gives it a key, so that what is told twice counts once.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Event {
    /// Its own key, 8 to 64 characters; the same for the same press however often it is sent.
    pub key: String,
    /// The step, from 1.
    pub step_n: u32,
    /// What happened.
    #[serde(alias = "happened")]
    pub kind: EventKind,
    /// To how many.
    pub n: u32,
    /// Why they were scrapped, at most 200 characters.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub reason: String,
    /// When it happened, UTC.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub at: Timestamp,
}
