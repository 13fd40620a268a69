//! What every request handler shares.

use std::sync::Arc;

use crate::coming::Coming;
use crate::hosts::Hosts;
use crate::instrument::Instruments;
use crate::jobs::Jobs;
use crate::session::Sessions;
use crate::store::Store;

/// What every request handler shares.
#[derive(Clone)]
pub(crate) struct State {
    /// The workshop's file.
    pub store: Store,
    /// Who has unlocked it.
    pub sessions: Sessions,
    /// The names it answers to.
    pub hosts: Hosts,
    /// What is plugged in.
    pub instruments: Instruments,
    /// Long solves.
    pub jobs: Jobs,
    /// How far a whole workshop that is being brought in has come.
    pub coming: Arc<Coming>,
}
