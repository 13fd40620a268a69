//! How far long requests have come, for whoever waits: a request that names itself in a header is asked about under that
//! name, and stops where nobody waits for it any more.

use std::collections::BTreeMap;
use std::io::{self, Read};
use std::sync::atomic::{AtomicU64, Ordering};
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};

use axum::http::HeaderMap;

use crate::heavy::StillWanted;
use crate::problem::Problem;

/// The header in which a request names itself.
const NAME: &str = "request-name";
/// Longest name, bytes.
const LONGEST: usize = 64;

tokio::task_local! {
    /// The name of the request that is being answered; empty where it has none.
    static OF_REQUEST: String;
}

/// Answers a request that may have a name.
pub(crate) async fn answering<T>(headers: &HeaderMap, answer: impl Future<Output = T>) -> T {
    let name = headers.get(NAME).and_then(|name| name.to_str().ok()).unwrap_or_default();
    let name = if name.len() > LONGEST { "" } else { name };
    OF_REQUEST.scope(name.to_owned(), answer).await
}

#[derive(Default)]
struct Steps {
    done_n: AtomicU64,
    of_n: AtomicU64,
}

/// The requests with a name that are being answered.
#[derive(Clone, Default)]
pub(crate) struct UnderWay(Arc<Mutex<BTreeMap<String, Arc<Steps>>>>);

impl UnderWay {
    /// Follows the request that is being answered, until what is given is dropped.
    pub fn follow(&self, wanted: StillWanted) -> Progress {
        let name = OF_REQUEST.try_with(Clone::clone).unwrap_or_default();
        let steps: Arc<Steps> = Arc::default();
        if !name.is_empty() {
            self.locked().insert(name.clone(), steps.clone());
        }
        Progress { name, steps, wanted, all: self.clone() }
    }

    /// How far a request has come, from 0 to 1: none where that cannot be said; and none at all where there is no such
    /// request.
    pub fn share(&self, name: &str) -> Option<Option<f64>> {
        let steps = self.locked().get(name).cloned()?;
        let (done_n, of_n) = (steps.done_n.load(Ordering::Relaxed), steps.of_n.load(Ordering::Relaxed));
        #[expect(clippy::cast_precision_loss, reason = "a share that is shown in per cent")]
        Some((of_n > 0).then(|| (done_n as f64 / of_n as f64).min(1.0)))
    }

    fn locked(&self) -> MutexGuard<'_, BTreeMap<String, Arc<Steps>>> {
        self.0.lock().unwrap_or_else(PoisonError::into_inner)
    }
}

/// How far a request has come.
pub(crate) struct Progress {
    name: String,
    steps: Arc<Steps>,
    wanted: StillWanted,
    all: UnderWay,
}

/// Nobody waits for it any more.
#[derive(Debug, thiserror::Error)]
#[error("nobody waits for this any more")]
pub(crate) struct Unwanted;

/// Nobody reads it: who asked has gone.
impl From<Unwanted> for Problem {
    fn from(_: Unwanted) -> Self {
        Self::busy()
    }
}

impl Progress {
    /// It takes so many steps.
    pub fn takes(&self, steps_n: u64) {
        self.steps.of_n.store(steps_n, Ordering::Relaxed);
    }

    /// Another step is done.
    ///
    /// # Errors
    /// When nobody waits for the rest.
    pub fn step(&self) -> Result<(), Unwanted> {
        self.steps.done_n.fetch_add(1, Ordering::Relaxed);
        if self.still_wanted() { Ok(()) } else { Err(Unwanted) }
    }

    /// So much of it is done, from 0 to 1; gives whether anybody waits for the rest.
    pub fn is_at(&self, share: f64) -> bool {
        const PARTS: u64 = 1000;
        self.takes(PARTS);
        #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "0 to 1000")]
        self.steps.done_n.store((share.clamp(0.0, 1.0) * PARTS as f64) as u64, Ordering::Relaxed);
        self.still_wanted()
    }

    /// Whether anybody still waits.
    pub fn still_wanted(&self) -> bool {
        self.wanted.still()
    }
}

impl Drop for Progress {
    fn drop(&mut self) {
        let mut all = self.all.locked();
        // Another of the same name may have come since.
        if all.get(&self.name).is_some_and(|steps| Arc::ptr_eq(steps, &self.steps)) {
            all.remove(&self.name);
        }
    }
}

/// A file whose bytes are the steps.
pub(crate) struct Counted<'a, R>(pub R, pub &'a Progress);

impl<R: Read> Read for Counted<'_, R> {
    fn read(&mut self, into: &mut [u8]) -> io::Result<usize> {
        let n = self.0.read(into)?;
        self.1.steps.done_n.fetch_add(n as u64, Ordering::Relaxed);
        Ok(n)
    }
}
