//! Rings to chain: some are shut beforehand, the others opened, and they are put in one by one.

use super::close::{is_cut, shut};
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::words::length::caliper;
use lorimant_text::text;

/// Rings that are shut before the chain is begun.
#[derive(Debug, Clone, Copy)]
pub struct ShutRings {
    /// How many.
    pub n: u32,
    /// Of so many that were cut.
    pub of_n: u32,
}

/// Rings that are opened so far that others' wire passes.
#[derive(Debug, Clone, Copy)]
pub struct OpenRings {
    /// How many.
    pub n: u32,
    /// Of so many that were cut.
    pub of_n: u32,
}

/// Open rings that are put in one after the other.
#[derive(Debug, Clone, Copy)]
pub struct LinkRings {
    /// How many.
    pub n: u32,
    /// Of so many that were cut.
    pub of_n: u32,
    /// Wire that cutting took out of each turn, mm, so that closing makes it smaller.
    pub ring_mm: f64,
    /// Whether some of them are of another wire or size, made by a plan of their own.
    pub others_too: bool,
    /// Rings that go in shut and are shut on the way; 0 where they lie ready.
    pub shut_n: u32,
}

/// What a hand takes for one ring, shared out over all that were cut.
fn share(minutes: f64, n: u32, of_n: u32) -> f64 {
    minutes * f64::from(n) / f64::from(of_n.max(1))
}

/// How far a ring is opened so that others' wire passes, mm: a wire and a little to spare.
///
/// ```
/// use lorimant_core::making::operations::gap_mm;
///
/// assert_eq!(gap_mm(1.2), 1.6);
/// ```
#[must_use]
pub fn gap_mm(wire_mm: f64) -> f64 {
    (wire_mm * 1.3 * 10.0).ceil() / 10.0
}

impl Perform for ShutRings {
    fn operation(&self) -> Operation {
        Operation::ShutBefore
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        is_cut(piece)?;
        Ok(Done {
            what: text!("link-rings").to_owned(),
            numbers: Numbers { times_n: Some(self.n), inside_mm: piece.inside_mm, ..Numbers::default() },
            text: text!("link-close-sideways-until-ends-meet", n = text!("count-ring", n = self.n)),
            takes: Takes::minutes(0.3, share(0.25, self.n, self.of_n)).effort(bench.effort(0.0)),
            ..Done::default()
        })
    }
}

impl Perform for OpenRings {
    fn operation(&self) -> Operation {
        Operation::OpenUp
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        is_cut(piece)?;
        Ok(Done {
            what: text!("link-rings").to_owned(),
            numbers: Numbers { times_n: Some(self.n), ..Numbers::default() },
            text: text!(
                "link-open-sideways-ends-past-each",
                n = text!("count-ring", n = self.n),
                size_mm = caliper(gap_mm(bench.wire.size_mm), bench.unit())
            ),
            takes: Takes::minutes(0.2, share(0.12, self.n, self.of_n)).effort(bench.effort(0.0)),
            ..Done::default()
        })
    }
}

impl Perform for LinkRings {
    fn operation(&self) -> Operation {
        Operation::Link
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        is_cut(piece)?;
        shut(piece, Some(self.ring_mm))?;
        let at_the_end = text!("link-stop-at-end-row-not");
        let mut hints = vec![at_the_end.to_owned()];
        if self.others_too {
            hints.push(text!("link-some-its-rings-other-wire").to_owned());
        }
        let on_the_way = match self.shut_n {
            0 => String::new(),
            n => text!("link-close-other-as-you-come", n),
        };
        Ok(Done {
            what: text!("link-rings").to_owned(),
            numbers: Numbers { times_n: Some(self.n), inside_mm: piece.inside_mm, ..Numbers::default() },
            text: text!("link-add-one-at-time-as", n = text!("count-open-ring", n = self.n), on_the_way),
            hints,
            takes: Takes::minutes(1.0, share(0.6, self.n, self.of_n) + share(0.3, self.shut_n, self.of_n))
                .effort(bench.effort(0.0)),
            ..Done::default()
        })
    }
}
