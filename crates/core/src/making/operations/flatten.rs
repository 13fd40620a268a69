//! Hammer a stretch flat.

use crate::making::run::From;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::words::length::{on_ruler, thickness};
use lorimant_text::text;

/// A stretch is hammered thinner on the block: an end that is to be a paddle, or a bend that is to be stiff.
#[derive(Debug, Clone)]
pub struct Flatten {
    /// Whether it is [`Operation::Flatten`], of a straight end, or [`Operation::Hammer`], of a bend.
    pub operation: Operation,
    /// What it is called.
    pub what: &'static str,
    /// The stretches on the blank, mm, with their segments and how long each is once hammered.
    pub stretches: Vec<((f64, f64), usize, f64)>,
    /// Thickness it is hammered to, mm.
    pub thickness_mm: f64,
    /// Of an end that is rolled afterwards: whether it is the far end.
    pub rolled: Option<bool>,
    /// Length of the flush blank, mm.
    pub blank_mm: f64,
}

impl Perform for Flatten {
    fn operation(&self) -> Operation {
        self.operation
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let unit = bench.unit();
        let gone = piece.gone_mm;
        let mut used: f64 = 0.0;
        for ((from, to), _, _) in &self.stretches {
            let spent = piece.outer_between(from - gone, to - gone);
            let before = bench.wire.profile().thickness_mm();
            used = used.max(bench.share(spent, (before / self.thickness_mm).max(1.0).ln()));
            piece.flatten((from - gone, to - gone), self.thickness_mm);
        }
        let Some(((from, to), _, grown)) = self.stretches.first().copied() else {
            return Err(text!("flatten-there-nothing-hammer").to_owned());
        };
        let thin = thickness(self.thickness_mm, unit);
        let text = if self.operation == Operation::Flatten {
            let far = self.rolled == Some(true);
            *(if far { &mut piece.far } else { &mut piece.near }) = End::Hammered;
            let marked = if self.rolled.is_some() { text!("flatten-make-all-marks-first") } else { "" };
            text!(
                "flatten-hammer-first-from-end-flat",
                marked,
                to = on_ruler(to - from, unit),
                right = far,
                thin,
                grown = on_ruler(grown, unit)
            )
        } else {
            text!("flatten-hammer-on-block-same-on", what = crate::making::telling::the(self.what), thin)
        };
        Ok(Done {
            what: self.what.to_owned(),
            // What is rolled afterwards has its shape only then.
            segments: if self.rolled.is_some() {
                vec![]
            } else {
                self.stretches.iter().map(|(_, segment, _)| *segment).collect()
            },
            numbers: Numbers {
                from: Some(if self.rolled == Some(true) { From::FarEnd } else { From::NearEnd }),
                at_mm: Some(if self.rolled == Some(true) { (self.blank_mm - to).max(0.0) } else { from }),
                length_mm: Some(to - from),
                thickness_mm: Some(self.thickness_mm),
                tool: Some(text!("flatten-hammer-block").to_owned()),
                strain_used: Some(used),
                times_n: u32::try_from(self.stretches.len()).ok().filter(|n| *n > 1),
                ..Numbers::default()
            },
            text,
            caution: Some(text!("flatten-wear-safety-glasses-keep-fingers")),
            takes: Takes::minutes(0.5, 0.7).effort(bench.effort(0.0)),
            ..Done::default()
        })
    }
}
