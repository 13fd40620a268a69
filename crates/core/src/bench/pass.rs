//! A pass: what shares a wire size, a tool and its place, across batches, so that the tool is set once.

use serde::Serialize;

use super::{Batch, BatchProgress, Task};

/// A batch with its tasks and how far it is.
#[derive(Debug, Clone, Copy)]
pub struct Led<'a> {
    /// The batch.
    pub batch: &'a Batch,
    /// Its tasks.
    pub tasks: &'a [Task],
    /// How far it is.
    pub progress: &'a BatchProgress,
}

/// A step of one batch within a pass.
#[derive(Debug, Clone, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct PassStep {
    /// The batch, by its place.
    pub batch: usize,
    /// The step, from 1.
    pub step_n: u32,
    /// How many can be done now.
    pub ready_n: u32,
}

/// Steps that can be done now, of different batches, with one setting of the tool.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Pass {
    /// What it is: `roll a loop, on 3.02 mm`.
    pub named: String,
    /// Its steps.
    pub steps: Vec<PassStep>,
    /// Minutes of setting up that it saves.
    pub saves_min: f64,
}

/// What can be done now in one pass each: at least two batches share it. What saves most comes first.
#[must_use]
pub fn passes(all: &[Led]) -> Vec<Pass> {
    let mut found: Vec<(String, Pass)> = vec![];
    for (batch, led) in all.iter().enumerate() {
        let Some(at) = led.progress.at else { continue };
        let (Some(task), Some(there)) = (led.tasks.get(at), led.progress.tasks.get(at)) else { continue };
        let step_n = u32::try_from(at + 1).unwrap_or(u32::MAX);
        if there.ready_n == 0 || there.started_at.is_some() || task.step.takes.setting_up_min <= 0.0 {
            continue;
        }
        let key = task.setup_with(led.batch.piece.wire().size_mm);
        let step = PassStep { batch, step_n, ready_n: there.ready_n };
        let saves_min = task.step.takes.setting_up_min;
        if let Some((_, pass)) = found.iter_mut().find(|(known, _)| *known == key) {
            pass.steps.push(step);
            pass.saves_min += saves_min;
        } else {
            let tool = task.step.numbers.tool.as_ref().map(|tool| format!(", {tool}"));
            let named = format!("{}{}", task.step.named, tool.unwrap_or_default());
            found.push((key, Pass { named, steps: vec![step], saves_min: 0.0 }));
        }
    }
    let mut passes: Vec<Pass> =
        found.into_iter().map(|(_, pass)| pass).filter(|pass| pass.steps.len() > 1).collect();
    passes.sort_by(|a, b| b.saves_min.total_cmp(&a.saves_min));
    passes
}
