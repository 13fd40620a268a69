//! What every request handler shares.

use lorimant_core::chain::relaxed::Relaxed;
use lorimant_core::chain::search;
use lorimant_core::rack::cut_plan::{CutPlan, Progress as CutProgress};

use crate::heavy::Heavy;
use crate::hosts::Hosts;
use crate::instrument::Instruments;
use crate::jobs::Jobs;
use crate::progress::UnderWay;
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
    /// Cut plans that are being looked for.
    pub cutting: Jobs<CutProgress, CutPlan>,
    /// Weaves that are being relaxed.
    pub relaxing: Jobs<search::RelaxProgress, Relaxed>,
    /// The queue of heavy work.
    pub heavy: Heavy,
    /// How far long requests have come.
    pub under_way: UnderWay,
}
