//! What goes into the barrel together: by weight, by metal, and by what would hang itself into each other.

use serde::Serialize;

use super::{Batch, BatchProgress, Task};
use crate::fault::Faults;
use crate::making::Operation;
use crate::piece::mate::catch;
use crate::tool::gear::Gear;
use lorimant_text::{fixed, text};

/// Minutes to pick one piece out of others that it hangs in.
const PICK_OUT_MIN: f64 = 0.1;

/// A batch that waits for the barrel, or will.
#[derive(Debug, Clone, Copy)]
pub struct ForTheBarrel<'a> {
    /// The batch.
    pub batch: &'a Batch,
    /// How many pieces.
    pub pieces_n: u32,
    /// What they weigh, g.
    pub mass_g: f64,
}

/// What goes into the barrel together.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Load {
    /// The batches, by their places.
    pub batches: Vec<usize>,
    /// What they weigh, g.
    pub mass_g: f64,
    /// How often the barrel is filled for it.
    pub loads_n: u32,
    /// Minutes to pick apart what hangs itself into each other.
    pub pick_out_min: f64,
    /// What it is, and why, in a sentence or two.
    pub text: String,
}

impl Batch {
    /// What of it is for the barrel: nothing where its route has none, or it has been through.
    #[must_use]
    pub fn for_the_barrel(&self, tasks: &[Task], progress: &BatchProgress) -> Option<ForTheBarrel<'_>> {
        let tumbled = tasks.iter().zip(&progress.tasks);
        let (task, _) = tumbled
            .filter(|(task, there)| task.step.operation == Operation::Tumble && there.left_n > 0)
            .find(|(_, there)| there.started_at.is_none())?;
        let mass_g = task.one_g * f64::from(progress.whole_n);
        Some(ForTheBarrel { batch: self, pieces_n: progress.whole_n, mass_g })
    }
}

/// Which batches go into the barrel together: metals that may, as heavy as one load may be, pieces that would hang
/// themselves into each other apart where that costs no further load.
///
/// The heaviest are laid first, each into the first load that takes it. What hangs into its own kind cannot be kept apart
/// and is counted as time to pick it out, 0.1 min a piece.
///
/// # Errors
/// The faults of a batch's piece.
pub fn loads(all: &[ForTheBarrel], gear: &Gear) -> Result<Vec<Load>, Faults> {
    let mut order: Vec<usize> = (0..all.len()).collect();
    order.sort_by(|a, b| all[*b].mass_g.total_cmp(&all[*a].mass_g).then(a.cmp(b)));
    let mut together: Vec<Vec<usize>> = vec![];
    for at in order {
        let mut fits = None;
        let mut fits_caught = None;
        for (i, load) in together.iter().enumerate() {
            let mass_g: f64 = load.iter().map(|there| all[*there].mass_g).sum();
            let company = |at: usize| all[at].batch.piece.wire().metal.company();
            if mass_g + all[at].mass_g > gear.barrel_g
                || load.iter().any(|there| company(*there) != company(at))
            {
                continue;
            }
            let mut caught = false;
            for there in load {
                caught |= catch(&all[*there].batch.piece, &all[at].batch.piece)?;
            }
            if !caught {
                fits = Some(i);
                break;
            }
            fits_caught = fits_caught.or(Some(i));
        }
        match fits.or(fits_caught) {
            Some(i) => together[i].push(at),
            None => together.push(vec![at]),
        }
    }
    together.into_iter().map(|batches| told(all, batches, gear)).collect()
}

fn told(all: &[ForTheBarrel], batches: Vec<usize>, gear: &Gear) -> Result<Load, Faults> {
    let mass_g: f64 = batches.iter().map(|at| all[*at].mass_g).sum();
    let mut caught: Vec<usize> = vec![];
    let mut pairs: Vec<String> = vec![];
    for (i, one) in batches.iter().enumerate() {
        for other in &batches[i..] {
            if catch(&all[*one].batch.piece, &all[*other].batch.piece)? {
                caught.extend([*one, *other]);
                pairs.push(match one == other {
                    true => text!("load-with-each-other", name = all[*one].batch.name),
                    false => text!("load-and", name = all[*one].batch.name, name2 = all[*other].batch.name),
                });
            }
        }
    }
    caught.sort_unstable();
    caught.dedup();
    let caught_n: u32 = caught.iter().map(|at| all[*at].pieces_n).fold(0, u32::saturating_add);
    let pick_out_min = PICK_OUT_MIN * f64::from(caught_n);
    #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "1 to 10 000")]
    let loads_n = gear.loads(mass_g).clamp(1.0, 10_000.0) as u32;
    let metals = all[batches[0]].batch.piece.wire().metal.company();
    let mut text =
        text!("load-g", mass_g = fixed(mass_g, 0), metals, loads_n = text!("count-load", n = loads_n));
    if !pairs.is_empty() {
        text.push_str(&text!(
            "load-these-hook-together-allow-min",
            pairs = pairs.join(", "),
            pick_out_min = fixed(pick_out_min, 0)
        ));
    }
    Ok(Load { batches, mass_g, loads_n, pick_out_min, text })
}
