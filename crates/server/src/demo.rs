//! The demo workshop: open files, read by the same import a user would use.

use anyhow::Context as _;

use crate::export::document::PlanDocument;
use crate::problem::understand;
use crate::store::shelf;
use crate::store::{Store, keep_settings, settings};

const WORKSHOP: &str = include_str!("../../../demo/workshop.json");

/// Loads the demo workshop into a new file.
///
/// # Errors
/// When the file cannot be written.
pub fn load(store: &Store) -> anyhow::Result<()> {
    let document: PlanDocument =
        understand(WORKSHOP.as_bytes()).map_err(|problem| anyhow::anyhow!("demo: {}", problem.detail))?;
    let loaded = store.write(|transaction| {
        let batch = shelf::batch(transaction)?;
        if let Some(new) = &document.settings {
            let (_, revision) = settings(transaction)?;
            keep_settings(transaction, new, revision)?;
        }
        shelf::bring_in(transaction, batch, &document)
    });
    loaded.map(|_| ()).context("the demo workshop could not be loaded")
}
