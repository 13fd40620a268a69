//! The demo workshop: open files, read by the same import a user would use.

use anyhow::Context as _;

use crate::document::plans::PlanDocument;
use crate::document::rack::RackDocument;
use crate::extract::understand;
use crate::store::{Store, keep_settings, settings};
use crate::store::{batch, carried, shelf};

const WORKSHOP: &str = include_str!("../../../demo/workshop.json");
const RACK: &str = include_str!("../../../demo/rack.json");

/// Loads the demo workshop into a new file.
///
/// # Errors
/// When the file cannot be written.
pub fn load(store: &Store) -> anyhow::Result<()> {
    let document: PlanDocument =
        understand(WORKSHOP.as_bytes()).map_err(|problem| anyhow::anyhow!("demo: {}", problem.detail))?;
    let stock: RackDocument =
        understand(RACK.as_bytes()).map_err(|problem| anyhow::anyhow!("demo: {}", problem.detail))?;
    stock.check().context("the demo rack is not sound")?;
    let loaded = store.write(|transaction| {
        let batch = batch::next(transaction)?;
        if let Some(new) = &document.settings {
            let (_, revision) = settings(transaction)?;
            keep_settings(transaction, new, revision)?;
        }
        shelf::bring_in(transaction, batch, &document)?;
        carried::bring_in(transaction, batch, &stock)
    });
    loaded.map(|_| ()).context("the demo workshop could not be loaded")
}
