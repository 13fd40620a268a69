//! Long solves that run on their own: each can be looked at, and stopped with the best it has.

use std::collections::BTreeMap;
use std::sync::atomic::{AtomicBool, Ordering};
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};
use std::time::{Duration, Instant};

use lorimant_core::fault::{Fault, Faults};

use crate::heavy::{BUSY, Heavy};

/// How many jobs are remembered; the oldest makes room.
const MOST_JOBS: usize = 32;
/// A solve nobody stops ends here.
const LONGEST: Duration = Duration::from_secs(120);
/// A solve that nobody has asked about for so long is for nobody: who started it has left.
const ASKED_WITHIN: Duration = Duration::from_secs(20);

struct Job<P, R> {
    stop: AtomicBool,
    /// When it was last asked about.
    asked: Mutex<Instant>,
    progress: Mutex<Option<P>>,
    done: Mutex<Option<Result<R, Faults>>>,
}

type All<P, R> = Arc<Mutex<BTreeMap<u64, Arc<Job<P, R>>>>>;

/// The jobs of a running server that say how far they are as `P` and give an `R`, in the queue of heavy work.
pub(crate) struct Jobs<P, R> {
    all: All<P, R>,
    heavy: Heavy,
}

impl<P, R> Clone for Jobs<P, R> {
    fn clone(&self) -> Self {
        Self { all: self.all.clone(), heavy: self.heavy.clone() }
    }
}

impl<P, R> Jobs<P, R> {
    /// None yet, with this queue.
    pub fn of(heavy: Heavy) -> Self {
        Self { all: Arc::default(), heavy }
    }
}

impl<P, R> std::fmt::Debug for Jobs<P, R> {
    fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        f.write_str("Jobs")
    }
}

/// How far a job is, and what came of it once it is done.
pub(crate) type Stands<P, R> = (Option<P>, Option<Result<R, Faults>>);

fn locked<T>(mutex: &Mutex<T>) -> MutexGuard<'_, T> {
    mutex.lock().unwrap_or_else(PoisonError::into_inner)
}

impl<P: Clone + Send + 'static, R: Clone + Send + 'static> Jobs<P, R> {
    /// Starts solving; what does it is told whether to go on each time it says how far it is.
    pub fn start(&self, work: impl FnOnce(&dyn Fn(P) -> bool) -> Result<R, Faults> + Send + 'static) -> u64 {
        let job = Arc::new(Job {
            stop: AtomicBool::new(false),
            asked: Mutex::new(Instant::now()),
            progress: Mutex::new(None),
            done: Mutex::new(None),
        });
        let id = {
            let mut jobs = locked(&self.all);
            let id = jobs.last_key_value().map_or(1, |(last, _)| last + 1);
            jobs.insert(id, job.clone());
            while jobs.len() > MOST_JOBS {
                if let Some((_, oldest)) = jobs.pop_first() {
                    oldest.stop.store(true, Ordering::Relaxed);
                }
            }
            id
        };
        let heavy = self.heavy.clone();
        tokio::spawn(async move {
            let Some(turn) = heavy.long_turn().await else {
                *locked(&job.done) = Some(Err(Fault::new("job", BUSY).into()));
                return;
            };
            let done = tokio::task::spawn_blocking(move || {
                let start = Instant::now();
                let go_on = |progress| {
                    *locked(&job.progress) = Some(progress);
                    let asked = locked(&job.asked).elapsed() < ASKED_WITHIN;
                    !job.stop.load(Ordering::Relaxed) && start.elapsed() < LONGEST && asked
                };
                let done = work(&go_on);
                *locked(&job.done) = Some(done);
                drop(turn);
            });
            if done.await.is_err() {
                tracing::error!("a job broke off");
            }
        });
        id
    }

    /// How a job stands; none where it is not remembered.
    pub fn state(&self, id: u64) -> Option<Stands<P, R>> {
        let job = locked(&self.all).get(&id).cloned()?;
        *locked(&job.asked) = Instant::now();
        let done = locked(&job.done).clone();
        let progress = locked(&job.progress).clone();
        Some((progress, done))
    }

    /// Asks a job to end with the best it has.
    pub fn stop(&self, id: u64) -> Option<Stands<P, R>> {
        locked(&self.all).get(&id)?.stop.store(true, Ordering::Relaxed);
        self.state(id)
    }
}
