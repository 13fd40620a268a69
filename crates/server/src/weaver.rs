//! Works out how the rings of makers' own weaves lie, beside what is asked: reading and writing never wait for it, and what
//! was worked out once is kept in the file.

use std::time::{Duration, Instant};

use lorimant_core::chain::taut;

use crate::heavy::Heavy;
use crate::store::{Store, StoreError, ladders};

/// How often it is looked whether something is wanted or was worked out.
const LOOK: Duration = Duration::from_millis(500);
/// What is not found by then is not looked for any longer.
const LONGEST: Duration = Duration::from_secs(120);

/// Takes what the file keeps, and goes on working out what is wanted as long as the server runs.
pub(crate) fn start(store: &Store, heavy: &Heavy) -> Result<(), StoreError> {
    store.read(ladders::all)?.into_iter().for_each(taut::remember);
    if let Ok(runtime) = tokio::runtime::Handle::try_current() {
        runtime.spawn(works(store.clone(), heavy.clone()));
    }
    Ok(())
}

async fn works(store: Store, heavy: Heavy) {
    let mut looks = tokio::time::interval(LOOK);
    looks.set_missed_tick_behavior(tokio::time::MissedTickBehavior::Delay);
    loop {
        looks.tick().await;
        for (weave, parts) in taut::take_wanted() {
            let Some(turn) = heavy.long_turn().await else { continue };
            let worked = tokio::task::spawn_blocking(move || {
                let begun = Instant::now();
                // What cannot be is known by then as well, and is not looked for again.
                let _ = taut::work_out(&weave, &parts, &|_| begun.elapsed() < LONGEST);
                drop(turn);
            });
            if worked.await.is_err() {
                tracing::warn!("a weave could not be worked out");
            }
        }
        let fresh = taut::take_fresh();
        if fresh.is_empty() {
            continue;
        }
        let store = store.clone();
        let kept = tokio::task::spawn_blocking(move || store.write(|t| ladders::keep(t, &fresh)));
        match kept.await {
            Ok(Err(error)) => tracing::warn!(%error, "how a weave lies was not kept; it is worked out again"),
            Ok(Ok(())) => {}
            Err(_) => return,
        }
    }
}
