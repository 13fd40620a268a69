//! What would help where work finds no time or comes too late: tried, not guessed.

use serde::Serialize;

use super::{Cost, Sittings, Stretch, cheaper};
use crate::fault::Faults;

/// Something that would help, and what would come of it.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Help {
    /// What, in a sentence.
    pub sentence: String,
    /// Whether everything is done in time then.
    pub in_time: bool,
}

impl Sittings {
    /// What would help, the simplest first: a longer sitting, a second one, less for the hand, fewer pieces. Each is
    /// planned; what changes nothing is left out. Nothing where all is in time.
    ///
    /// # Errors
    /// As [`Sittings::check`].
    pub fn help(&self, seed: u64, tries_n: u32) -> Result<Vec<Help>, Faults> {
        let few = |plan: &Self| Ok::<Cost, Faults>(plan.plan(seed, &|at| at.tried_n < tries_n)?.cost());
        let now = few(self)?;
        if now.0 == 0 && now.1 <= 0.0 {
            return Ok(vec![]);
        }
        let mut ways: Vec<(String, Self)> = vec![];
        for more_min in [30.0, 60.0, 120.0] {
            let sittings = lengthened(&self.sittings, more_min);
            let longer = Self { sittings, most_min: self.most_min + more_min, ..self.clone() };
            ways.push((format!("Work {more_min:.0} minutes longer each session"), longer));
        }
        ways.push(("Add a second session of an hour after each one".to_owned(), self.twice()));
        let mut softer = self.clone();
        for work in softer.jobs.iter_mut().flat_map(|job| &mut job.works) {
            work.effort_each_min *= 0.6;
        }
        ways.push(("Use softer or thinner wire, about two fifths easier on the hands".to_owned(), softer));
        for (share, said) in [(0.75, "three quarters"), (0.5, "half")] {
            ways.push((format!("Make {said} as many of the late pieces"), self.fewer(share)));
        }
        let mut help = vec![];
        for (sentence, plan) in ways {
            let cost = few(&plan)?;
            let helps = cheaper((cost.0, cost.1, 0, 0.0), (now.0, now.1 - 1.0, 0, 0.0));
            if helps {
                let in_time = cost.0 == 0 && cost.1 <= 0.0;
                let then = if in_time { "everything is done on time" } else { "more is done on time" };
                help.push(Help { sentence: format!("{sentence}: {then}."), in_time });
            }
        }
        Ok(help)
    }

    /// A second sitting an hour after the end of each, where there is time before the next.
    fn twice(&self) -> Self {
        let mut sittings = vec![];
        for (i, one) in self.sittings.iter().enumerate() {
            sittings.push(*one);
            let second = Stretch { from_min: one.to_min + 60.0, to_min: one.to_min + 120.0 };
            if self.sittings.get(i + 1).is_none_or(|next| next.from_min >= second.to_min) {
                sittings.push(second);
            }
        }
        Self { sittings, ..self.clone() }
    }

    /// Fewer of every job that has a due day.
    fn fewer(&self, share: f64) -> Self {
        let mut fewer = self.clone();
        for work in fewer.jobs.iter_mut().filter(|job| job.due_min.is_some()).flat_map(|job| &mut job.works) {
            #[expect(
                clippy::cast_possible_truncation,
                clippy::cast_sign_loss,
                reason = "fewer than there are"
            )]
            let n = (f64::from(work.n) * share).ceil() as u32;
            work.n = n;
        }
        fewer
    }
}

/// Each longer by so much, as far as the next lets it.
fn lengthened(sittings: &[Stretch], more_min: f64) -> Vec<Stretch> {
    let longer = |(i, one): (usize, &Stretch)| {
        let next = sittings.get(i + 1).map_or(f64::INFINITY, |next| next.from_min);
        Stretch { to_min: (one.to_min + more_min).min(next), ..*one }
    };
    sittings.iter().enumerate().map(longer).collect()
}
