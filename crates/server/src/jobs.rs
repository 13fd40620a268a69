//! Long solves that run on their own: each can be looked at, and stopped with the best it has.

use std::collections::BTreeMap;
use std::sync::atomic::{AtomicBool, Ordering};
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};
use std::time::{Duration, Instant};

use lorimant_core::fault::Faults;
use lorimant_core::rack::cut_plan::{CutPlan, CutRequest, Progress};
use lorimant_core::words::length::LengthUnit;
use serde::Serialize;
use utoipa::ToSchema;

/// How many jobs are remembered; the oldest makes room.
const MOST_JOBS: usize = 32;
/// A solve nobody stops ends here.
const LONGEST: Duration = Duration::from_secs(120);

/// How a job stands.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub(crate) struct JobState {
    /// Its number.
    pub job: u64,
    /// Whether it is still looking.
    pub working: bool,
    /// How far it has come; none before a first plan is found.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub progress: Option<Progress>,
    /// The plan, once it is done or was stopped.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub plan: Option<CutPlan>,
}

#[derive(Debug, Default)]
struct Job {
    stop: AtomicBool,
    progress: Mutex<Option<Progress>>,
    done: Mutex<Option<CutPlan>>,
    broke: AtomicBool,
}

/// The jobs of a running server.
#[derive(Debug, Clone, Default)]
pub(crate) struct Jobs(Arc<Mutex<BTreeMap<u64, Arc<Job>>>>);

fn locked<T>(mutex: &Mutex<T>) -> MutexGuard<'_, T> {
    mutex.lock().unwrap_or_else(PoisonError::into_inner)
}

impl Jobs {
    /// Starts solving; what is wrong with the request is said at once.
    pub fn start(&self, request: CutRequest, unit: LengthUnit) -> Result<u64, Faults> {
        request.check()?;
        let job = Arc::new(Job::default());
        let id = {
            let mut jobs = locked(&self.0);
            let id = jobs.last_key_value().map_or(1, |(last, _)| last + 1);
            jobs.insert(id, job.clone());
            while jobs.len() > MOST_JOBS {
                if let Some((_, oldest)) = jobs.pop_first() {
                    oldest.stop.store(true, Ordering::Relaxed);
                }
            }
            id
        };
        tokio::task::spawn_blocking(move || {
            let start = Instant::now();
            let go_on = |progress| {
                *locked(&job.progress) = Some(progress);
                !job.stop.load(Ordering::Relaxed) && start.elapsed() < LONGEST
            };
            match request.solve(unit, &go_on) {
                Ok(plan) => *locked(&job.done) = Some(plan),
                Err(_) => job.broke.store(true, Ordering::Relaxed),
            }
        });
        Ok(id)
    }

    /// How a job stands; none where it is not remembered, or broke off.
    pub fn state(&self, id: u64) -> Option<JobState> {
        let job = locked(&self.0).get(&id).cloned()?;
        if job.broke.load(Ordering::Relaxed) {
            return None;
        }
        let plan = locked(&job.done).clone();
        let progress = *locked(&job.progress);
        Some(JobState { job: id, working: plan.is_none(), progress, plan })
    }

    /// Asks a job to end with the best it has.
    pub fn stop(&self, id: u64) -> Option<JobState> {
        locked(&self.0).get(&id)?.stop.store(true, Ordering::Relaxed);
        self.state(id)
    }
}
