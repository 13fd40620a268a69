//! Heavy work: one piece for each core, in a queue with an end, and stopped when nobody waits for it any more. So whatever
//! is asked, the other requests are answered. What may take minutes has a lane of its own: nobody's print waits for it.

use lorimant_text::Text;
use std::sync::Arc;
use std::sync::atomic::{AtomicBool, Ordering};

use tokio::sync::{OwnedSemaphorePermit, Semaphore};

/// Pieces of heavy work that may wait; who comes after is asked to come back.
const MOST_WAITING: usize = 24;

/// What is said then.
pub(crate) const BUSY: Text = Text::named("api-heavy-server-busy-with-other-long");

/// The queue of a running server's heavy work.
#[derive(Clone)]
pub(crate) struct Heavy {
    /// What somebody waits for: a file, a plan.
    running: Arc<Semaphore>,
    /// What runs on its own: a job, a weave that is worked out.
    long: Arc<Semaphore>,
    waiting: Arc<Semaphore>,
}

impl Default for Heavy {
    fn default() -> Self {
        let cores = std::thread::available_parallelism().map_or(1, usize::from);
        let running = Arc::new(Semaphore::new(cores.saturating_sub(1).max(1)));
        Self { running, long: Arc::new(Semaphore::new(1)), waiting: Arc::new(Semaphore::new(MOST_WAITING)) }
    }
}

impl Heavy {
    /// Waits for its turn; none where too many wait already.
    pub async fn turn(&self) -> Option<OwnedSemaphorePermit> {
        self.turn_in(&self.running).await
    }

    /// The same for what may take minutes.
    pub async fn long_turn(&self) -> Option<OwnedSemaphorePermit> {
        self.turn_in(&self.long).await
    }

    async fn turn_in(&self, lane: &Arc<Semaphore>) -> Option<OwnedSemaphorePermit> {
        let _waiting = self.waiting.try_acquire().ok()?;
        lane.clone().acquire_owned().await.ok()
    }
}

/// Says whether anybody still waits for some work: not once the other end of it is dropped, as a request is when who asked
/// hangs up.
#[derive(Clone, Debug)]
pub(crate) struct StillWanted(Arc<AtomicBool>);

/// Held by whoever waits.
pub(crate) struct Waiting(StillWanted);

impl StillWanted {
    /// Somebody waits.
    pub fn new() -> (Self, Waiting) {
        let wanted = Self(Arc::new(AtomicBool::new(true)));
        (wanted.clone(), Waiting(wanted))
    }

    /// Whether they still do.
    pub fn still(&self) -> bool {
        self.0.load(Ordering::Relaxed)
    }
}

impl Drop for Waiting {
    fn drop(&mut self) {
        self.0.0.store(false, Ordering::Relaxed);
    }
}
