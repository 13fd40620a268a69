//! What handlers do beside answering: reading and writing the file and making documents, off the threads that
//! answer others.

use std::time::{Duration, Instant};

use axum::Json;
use axum::http::header;
use axum::response::{IntoResponse as _, Response};

use lorimant_core::chain::taut;
use lorimant_core::fault::Faults;
use lorimant_core::tool::workshop::Workshop;

use crate::device;
use crate::heavy::StillWanted;
use crate::problem::Problem;
use crate::progress::Progress;
use crate::state::State;
use crate::store::{Store, StoreError};
use lorimant_text::text;

/// A made file, to be saved under a name.
pub(crate) fn file(kind: &str, name: &str, bytes: impl Into<axum::body::Body>) -> Response {
    let disposition = format!("attachment; filename=\"{name}\"");
    ([(header::CONTENT_TYPE, kind.to_owned()), (header::CONTENT_DISPOSITION, disposition)], bytes.into())
        .into_response()
}

/// Makes a file, in the queue of heavy work.
pub(crate) async fn made(
    state: &State,
    work: impl FnOnce(&Progress) -> anyhow::Result<Vec<u8>> + Send + 'static,
) -> Result<Vec<u8>, Problem> {
    heavily(state, work).await?.map_err(|error| match error.downcast::<Faults>() {
        Ok(faults) => faults.into(),
        Err(error) => Problem::internal(text!("api-work-file-could-not-be-written", error)),
    })
}

/// Works something out without holding up other requests.
pub(crate) async fn aside<T: Send + 'static>(
    work: impl FnOnce() -> T + Send + 'static,
) -> Result<T, Problem> {
    let work = move || {
        let begun = Instant::now();
        taut::while_waiting(move || begun.elapsed() < WEAVE, work)
    };
    tokio::task::spawn_blocking(work)
        .await
        .map_err(|_| Problem::internal(text!("api-work-this-could-not-be-calculated")))
}

/// How long an answer waits for a weave of a maker's own to be worked out, before it says that it still is.
const WEAVE: Duration = Duration::from_millis(1500);

/// Works out something that takes long, in its turn: `work` says how far it is, and is told whether anybody still waits
/// for it.
pub(crate) async fn heavily<T: Send + 'static>(
    state: &State,
    work: impl FnOnce(&Progress) -> T + Send + 'static,
) -> Result<T, Problem> {
    let (wanted, _waiting) = StillWanted::new();
    let progress = state.under_way.follow(wanted.clone());
    let turn = state.heavy.turn().await.ok_or_else(Problem::busy)?;
    let done = tokio::task::spawn_blocking(move || {
        let begun = Instant::now();
        let in_time = move || wanted.still() && begun.elapsed() < WEAVE;
        let done = taut::while_waiting(in_time, || work(&progress));
        drop(turn);
        done
    });
    done.await.map_err(|_| Problem::internal(text!("api-work-this-could-not-be-calculated")))
}

/// Works something of the trade out with the workshop's tools and habits, without holding up other requests.
pub(crate) async fn worked<T: Send + 'static>(
    state: &State,
    work: impl FnOnce(&Workshop) -> Result<T, Faults> + Send + 'static,
) -> Result<Json<T>, Problem> {
    let workshop = state.store.workshop();
    Ok(Json(aside(move || work(&workshop)).await??))
}

type Stored<T> = Result<T, StoreError>;

/// Reads from the file without holding up other requests.
pub(crate) async fn read<T: Send + 'static>(
    state: &State,
    work: impl FnOnce(&rusqlite::Connection) -> Stored<T> + Send + 'static,
) -> Result<T, Problem> {
    off_thread(state, move |store| store.read(work)).await
}

/// Writes to the file without holding up other requests.
pub(crate) async fn write<T: Send + 'static>(
    state: &State,
    work: impl FnOnce(&rusqlite::Transaction) -> Stored<T> + Send + 'static,
) -> Result<T, Problem> {
    off_thread(state, move |store| store.write(work)).await
}

/// Tries a write out without holding up other requests; nothing of it stays.
pub(crate) async fn try_out<T: Send + 'static>(
    state: &State,
    work: impl FnOnce(&rusqlite::Transaction) -> Stored<T> + Send + 'static,
) -> Result<T, Problem> {
    off_thread(state, move |store| store.try_out(work)).await
}

async fn off_thread<T: Send + 'static>(
    state: &State,
    work: impl FnOnce(&Store) -> Stored<T> + Send + 'static,
) -> Result<T, Problem> {
    let (store, device) = (state.store.clone(), device::of_request());
    // The file and its writer never wait for a weave to be worked out.
    let work = move || taut::while_waiting(|| false, || device::working_for(device, || work(&store)));
    let done = tokio::task::spawn_blocking(work).await;
    done.map_err(|_| Problem::internal(text!("api-work-something-went-wrong-nothing-was")))?
        .map_err(Problem::from)
}
